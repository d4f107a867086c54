package web

import (
	"encoding/json"
	"io"
	"net/http/httptest"
	"path/filepath"
	"reflect"
	"strings"
	"testing"
	"testing/fstest"
	"time"

	"github.com/gofiber/fiber/v3"

	"zygonos/core/lang/said"
	"zygonos/store"
)

// missing finds the lists of an answer that are null, which a page would stumble over.
func missing(v reflect.Value, at string) (out []string) {
	switch v.Kind() {
	case reflect.Pointer, reflect.Interface:
		if !v.IsNil() {
			return missing(v.Elem(), at)
		}
	case reflect.Slice:
		for i := range v.Len() {
			out = append(out, missing(v.Index(i), at+"/*")...)
		}
	case reflect.Struct:
		for i := range v.NumField() {
			f := v.Type().Field(i)
			name, rest, _ := strings.Cut(f.Tag.Get("json"), ",")
			if !f.IsExported() || name == "-" {
				continue
			}
			if f.Type.Kind() == reflect.Slice && v.Field(i).IsNil() && rest == "" && f.Type != reflect.TypeFor[said.Sentence]() &&
				f.Type != reflect.TypeFor[json.RawMessage]() {
				out = append(out, at+"/"+name)
			}
			out = append(out, missing(v.Field(i), at+"/"+name)...)
		}
	}
	return out
}

// Every call that judges or searches answers on a plan that knows nothing yet, on things without a figure,
// and where outing and trailer are not of the plan: with a document or with a sentence, never from within.
func TestRoutesOnBarePlans(t *testing.T) {
	s, err := store.Open(t.Context(), filepath.Join(t.TempDir(), "bare.db"))
	if err != nil {
		t.Fatal(err)
	}
	defer s.Close()
	app := New(Config{Store: s, Files: fstest.MapFS{}})
	const head = `{"format":"zygonos-plan","version":1,"name":"Bare"`
	layout := func(in string) string { return `"outings":{"o":{"order":1,"name":"O","layouts":{"t":{` + in + `}}}}` }
	trailer := func(in string) string { return `"trailers":{"t":{"order":1,"name":"T","empty":{}` + in + `}}` }
	plans := map[string]string{
		"nothing":          head + `}`,
		"a trailer":        head + `,` + trailer("") + `}`,
		"an outing":        head + `,"outings":{"o":{"order":1,"name":"O","layouts":{}}}}`,
		"both":             head + `,` + trailer("") + `,` + layout(`"placements":{}`) + `}`,
		"a bare load":      head + `,"loads":{"l":{"order":1,"name":"L","size":{},"centre":{}}},` + trailer("") + `,` + layout(`"placements":{"l":{"on":"deck","at":{}}}`) + `}`,
		"bare parts":       head + `,` + trailer(`,"frame":{"members":{}},"decking":{},"wiring":{},"tipping":{},"workshop":{},"finish":{},"money":{},"gear":{},"plate":{}`) + `,` + layout(`"placements":{},"loading":{}`) + `}`,
		"a car and no rig": head + `,"towVehicles":{"c":{"order":1,"name":"C"}},"outings":{"o":{"order":1,"name":"O","vehicle":"c","layouts":{}}}}`,
	}
	asks := map[string]string{
		"its own": `,"outing":"o","trailer":"t"`, "none": ``, "another’s": `,"outing":"x","trailer":"y"`,
	}
	for i := range routes {
		r := &routes[i]
		if r.method != "POST" || r.takes == nil {
			continue
		}
		more := ""
		switch {
		case reflect.TypeOf(r.takes) == reflect.TypeFor[Asking]():
		case r.path == "/faults":
			more = `,"answers":[{"switch":"tail","lamp":"x","level":"off"}]`
		case r.path == "/weighed":
			more = `,"weighed":{"at":"ball","id":"a","value":40,"doubt":1}`
		case r.path == "/stretched":
			more = `,"what":"stretch","kind":"wider","by":0.2`
		case r.path == "/begin":
			more = `,"what":"fitting","kind":"spare","id":"x"`
		default:
			continue
		}
		for name, doc := range plans {
			for whose, ask := range asks {
				body := `{"plan":` + doc + ask + more + `,"want":"settled","key":"side","csv":"name,price\nOne,100\n","today":"2026-05-01"}`
				if more != "" {
					body = `{"plan":` + doc + ask + more + `}`
				}
				req := httptest.NewRequest("POST", "/api"+r.path, strings.NewReader(body))
				req.Host = "127.0.0.1:8484"
				req.Header.Set("Content-Type", "application/json")
				res, err := app.Test(req, fiber.TestConfig{Timeout: 30 * time.Second})
				if err != nil {
					t.Fatalf("%s on %s, %s: %v", r.path, name, whose, err)
				}
				text, _ := io.ReadAll(res.Body)
				if res.StatusCode >= 500 {
					t.Errorf("%s on %s, %s: %d %.200s", r.path, name, whose, res.StatusCode, text)
				}
				if r.gives != nil && res.StatusCode == 200 && r.media == "" {
					into := reflect.New(reflect.TypeOf(r.gives))
					if err := json.Unmarshal(text, into.Interface()); err != nil {
						t.Errorf("%s on %s, %s: %v", r.path, name, whose, err)
					} else if null := missing(into.Elem(), r.path); len(null) > 0 {
						t.Errorf("on %s, %s: %v is null", name, whose, null)
					}
				}
				if s := string(text); res.StatusCode == 200 && (strings.Contains(s, "NaN") || strings.Contains(s, "Inf,") || strings.TrimSpace(s) == "") {
					t.Errorf("%s on %s, %s: %.300s", r.path, name, whose, text)
				}
			}
		}
	}
}
