package records_test

import (
	"errors"
	"regexp"
	"slices"
	"strings"
	"testing"

	"zygonos/core/plan"
	"zygonos/core/records"
)

// Changes go together field by field, as RFC 7396 has it: null takes out, objects member by member, all else replaces.
func TestMerge(t *testing.T) {
	doc := []byte(nil)
	for _, c := range []struct{ patch, want string }{
		{`{"kind":"step","trailer":"t","step":{}}`, `{"kind":"step","trailer":"t","step":{}}`},
		{`{"step":{"done":true}}`, `{"kind":"step","trailer":"t","step":{"done":true}}`},
		{`{"step":{"minutes":25}}`, `{"kind":"step","trailer":"t","step":{"done":true,"minutes":25}}`},
		{`{"step":{"minutes":null},"note":"dry"}`, `{"kind":"step","trailer":"t","note":"dry","step":{"done":true}}`},
		{`{"photos":{"a":{"order":1}}}`, `{"kind":"step","trailer":"t","note":"dry","photos":{"a":{"order":1}},"step":{"done":true}}`},
		{`{"photos":{"a":null}}`, `{"kind":"step","trailer":"t","note":"dry","step":{"done":true}}`},
		{`{}`, `{"kind":"step","trailer":"t","note":"dry","step":{"done":true}}`},
	} {
		r, err := records.Merge(doc, []byte(c.patch))
		if err != nil {
			t.Fatalf("%s: %v", c.patch, err)
		}
		if doc, err = records.Write(r); err != nil || string(doc) != c.want {
			t.Errorf("%s: %s, want %s", c.patch, doc, c.want)
		}
	}
}

// Two devices' changes of different fields come to the same in either order.
func TestMergeInAnyOrder(t *testing.T) {
	start := `{"kind":"snag","snag":{"says":"a lamp is loose"}}`
	changes := []string{`{"snag":{"done":true}}`, `{"note":"screw gone"}`, `{"on":"2026-06-01"}`}
	var want string
	for _, order := range [][]int{{0, 1, 2}, {2, 1, 0}, {1, 0, 2}, {1, 2, 0}} {
		doc := []byte(start)
		for _, i := range order {
			r, err := records.Merge(doc, []byte(changes[i]))
			if err != nil {
				t.Fatal(err)
			}
			doc, _ = records.Write(r)
		}
		if want == "" {
			want = string(doc)
		} else if want != string(doc) {
			t.Errorf("%v: %s, want %s", order, doc, want)
		}
	}
}

// What makes no sense names its field, and nothing is changed.
func TestRefused(t *testing.T) {
	old := []byte(`{"kind":"step","step":{"done":true}}`)
	for _, c := range []struct{ patch, path, says string }{
		{`[1]`, "", "object"},
		{`{`, "", "readable"},
		{`{"step":{"minutes":-3}}`, "/step/minutes", "less than zero"},
		{`{"step":{"minutes":"long"}}`, "/step/minutes", "a number"},
		{`{"step":{"side":"askew"}}`, "/step/side", "not known"},
		{`{"on":"yesterday"}`, "/on", "year-month-day"},
		{`{"where":1}`, "/where", "no such field"},
		{`{"kind":null}`, "/kind", "what kind"},
		{`{"kind":"dream"}`, "/kind", "not known"},
		{`{"photos":[]}`, "/photos", "an object"},
		{`{"note":"` + strings.Repeat("x", records.MaxBytes) + `"}`, "", "kB"},
	} {
		_, err := records.Merge(old, []byte(c.patch))
		var se *plan.ShapeError
		if !errors.As(err, &se) || se.Path != c.path || !strings.Contains(se.Reason, c.says) {
			t.Errorf("%.60s: %v", c.patch, err)
		}
	}
}

// Every kind has its body, its field, and a stage on which it is filled in.
func TestFields(t *testing.T) {
	var paths []string
	for _, f := range records.Fields() {
		paths = append(paths, f.Path)
		if f.Stage == "" {
			t.Errorf("%s stands on no stage", f.Path)
		}
	}
	for _, k := range records.Kinds {
		if !slices.Contains(paths, records.Root+"/"+string(k)) {
			t.Errorf("%s has no body", k)
		}
	}
}

// Ids that would be too long stay apart, and are such as the server takes.
func TestIDOf(t *testing.T) {
	if id := records.IDOf(records.KindSpend, "t", "tin-primer"); id != "spend-t-tin-primer" {
		t.Error(id)
	}
	long := strings.Repeat("a-trailer-", 5)
	a, b := records.IDOf(records.KindSpend, long, "bars-tube-60-40-3-a"), records.IDOf(records.KindSpend, long, "bars-tube-60-40-3-b")
	if a == b || len(a) > 64 || !regexp.MustCompile(`^[a-z0-9-]+$`).MatchString(a) {
		t.Errorf("%s and %s", a, b)
	}
}
