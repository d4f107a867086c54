package web

import (
	"bytes"
	"encoding/json"
	"image"
	"image/jpeg"
	"io"
	"mime"
	"net/http/httptest"
	"path/filepath"
	"reflect"
	"strings"
	"testing"
	"testing/fstest"
	"time"

	"github.com/gofiber/fiber/v3"
	"github.com/google/uuid"

	"zygonos/core/out/archive"
	"zygonos/core/plan"
	"zygonos/demo"
	"zygonos/store"
)

// Each call answers with the code, the media type and the document that its route tells, no field
// more: what the description says is what a client gets.
func TestRoutesTellTheTruth(t *testing.T) {
	s, err := store.Open(t.Context(), filepath.Join(t.TempDir(), "routes.db"))
	if err != nil {
		t.Fatal(err)
	}
	defer s.Close()
	hash, _ := HashPasscode("tarn-and-heather")
	if err := s.SetSetting(t.Context(), PasscodeKey, hash); err != nil {
		t.Fatal(err)
	}
	app := New(Config{Store: s, Files: fstest.MapFS{}, Asks: true})
	data, err := demo.Files.ReadFile("skarrow-hut.zygonos.json")
	if err != nil {
		t.Fatal(err)
	}
	doc := string(data)
	saving := func(id string) string {
		return `{"id":"` + id + `","saveId":"` + uuid.NewString() + `","sitting":"t","plan":` + doc + `}`
	}
	cookie := ""
	call := func(method, path, body string) (int, string, []byte) {
		req := httptest.NewRequest(method, "/api"+path, strings.NewReader(body))
		req.Host = "127.0.0.1:8484"
		req.Header.Set("Content-Type", "application/json")
		req.Header.Set("Cookie", cookie)
		req.Header.Set("If-Match", `"1"`)
		res, err := app.Test(req, fiber.TestConfig{Timeout: 30 * time.Second})
		if err != nil {
			t.Fatal(err)
		}
		defer res.Body.Close()
		if set := res.Header.Get("Set-Cookie"); set != "" {
			cookie, _, _ = strings.Cut(set, ";")
		}
		text, _ := io.ReadAll(res.Body)
		media, _, _ := mime.ParseMediaType(res.Header.Get("Content-Type"))
		return res.StatusCode, media, text
	}
	bodies := map[string]string{
		"/session": `{"passcode":"tarn-and-heather"}`, "/pair": `{"path":"/"}`, "/plans": saving("p"), "/plans/import": doc, "/plans/{id}": saving("p"),
		"/library":           `{"id":"t","path":"/loads/skiff","plan":` + doc + `}`,
		"/library/{id}/take": `{"as":"copy","plan":` + doc + `}`,
		"/library/offers":    `{"plan":` + doc + `}`,
		"/faults":            `{"answers":[{"switch":"tail","lamp":"x","level":"off"}],"outing":"boat-day","trailer":"grey-flatbed","plan":` + doc + `}`,
		"/stretched":         `{"what":"stretch","kind":"wider","by":0.2,"trailer":"grey-flatbed","outing":"boat-day","plan":` + doc + `}`,
		"/first":             `{"region":"uk","units":"metric","loads":[{"name":"bricks","kind":"bricks","count":200,"weight":3}],"label":500}`,
		"/begin":             `{"what":"fitting","kind":"spare","id":"x","trailer":"grey-flatbed","outing":"boat-day","plan":` + doc + `}`,
	}
	var picture bytes.Buffer
	if err := jpeg.Encode(&picture, image.NewGray(image.Rect(0, 0, 40, 30)), nil); err != nil {
		t.Fatal(err)
	}
	bodies["/plans/{id}/photos/{photo}"] = picture.String()
	bodies["/plans/{id}/records/{record}"] = `{"kind":"snag","snag":{"says":"A lamp is loose"}}`
	whole, err := plan.Read(data)
	if err != nil {
		t.Fatal(err)
	}
	packed, err := archive.Pack(&archive.Holds{Plan: whole})
	if err != nil {
		t.Fatal(err)
	}
	bodies["/archives"] = string(packed)
	bodies["/plans/{id}/records"] = `{"changes":[{"id":"snag-a","patch":{"kind":"snag","snag":{"says":"A bolt is missing"}}}]}`
	bodies["/slip-list"] = `{"plan":` + doc + `,"csv":"date,loaded,empty\n2026-05-01,600,250\n"}`
	bodies["/practice/next"] = `{"progress":null,"today":"2026-05-01"}`
	bodies["/practice/answer"] = `{"progress":null,"today":"2026-05-01","topic":"label","seed":3,"level":1}`
	bodies["/practice/scene"] = `{"task":"","plan":` + doc + `}`
	bodies["/practice/replay"] = `{"task":"straight","hands":[{"tick":0,"steer":0,"pedal":-50}]}`
	bodies["/weigh"] = `{"address":"127.0.0.1:1"}` // nobody answers, and it says so
	bodies["/weighed"] = `{"plan":` + doc + `,"outing":"boat-day","trailer":"grey-flatbed","weighed":{"at":"ball","id":"a","value":40,"doubt":0.2}}`
	bodies["/spend-list"] = `{"plan":` + doc + `,"csv":"item,spent\nRope,12.50\n"}`
	bodies["/plate.svg"] = `{"plan":` + doc + `,"outing":"boat-day","trailer":"grey-flatbed","key":"label"}`
	call("POST", "/session", bodies["/session"])
	for _, id := range []string{"p", "q"} {
		if code, _, text := call("POST", "/plans", saving(id)); code != 201 {
			t.Fatal(code, string(text))
		}
	}
	bodies["/plans"] = saving("new")
	for i := range routes {
		r := &routes[i]
		path := strings.NewReplacer("{id}", "p", "{n}", "1", "{record}", "r", "{photo}", "f").Replace(r.path)
		switch r.path {
		case "/examples/{id}":
			path = "/examples/heather-hives"
		case "/plans/{id}/revisions/{n}":
			path = "/plans/q/revisions/1"
		case "/library/{id}", "/library/{id}/take", "/library/{id}/restore":
			path = strings.Replace(r.path, "{id}", "t", 1)
		}
		body, ok := bodies[r.path]
		if !ok && r.takes != nil {
			body = `{"plan":` + doc + `,"outing":"boat-day","trailer":"grey-flatbed","want":"settled","key":"side","csv":"name,price\nOne,100\n"}`
		}
		code, media, text := call(r.method, path, body)
		if r.method == "DELETE" { // and back, for the calls that follow
			defer call("POST", "/plans/p/restore", "")
			call("POST", "/plans/p/restore", "")
		}
		if code != r.status() || code != 204 && media != r.mediaType() {
			t.Errorf(
				"%s %s: %d %s, told %d %s: %.200s",
				r.method,
				r.path,
				code,
				media,
				r.status(),
				r.mediaType(),
				text,
			)
			continue
		}
		if r.gives == nil || code >= 400 {
			continue
		}
		if r.media == linesOfJSON { // the last line is the whole
			lines := bytes.Split(bytes.TrimSpace(text), []byte("\n"))
			text = lines[len(lines)-1]
		}
		into := reflect.New(reflect.TypeOf(r.gives))
		dec := json.NewDecoder(bytes.NewReader(text))
		dec.DisallowUnknownFields()
		if err := dec.Decode(into.Interface()); err != nil {
			t.Errorf("%s %s gives something else: %v", r.method, r.path, err)
		}
	}
}
