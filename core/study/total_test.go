package study_test

import (
	"context"
	"encoding/json"
	"os"
	"slices"
	"strings"
	"testing"

	"zygonos/core/internal/sample"
	"zygonos/core/lang/finding"
	"zygonos/core/plan"
	"zygonos/core/review"
	"zygonos/core/study"
)

// Whatever single member is missing or odd in the demo plan, arrangements, rack
// layouts, sway and turning give an answer or say why there is none: no panic, no
// figure that is no number.
func TestStudiesAreTotal(t *testing.T) {
	long(t)
	p := sample.Demo(t, "skarrow-hut")
	data, err := plan.Write(p)
	if err != nil {
		t.Fatal(err)
	}
	var doc any
	if err := json.Unmarshal(data, &doc); err != nil {
		t.Fatal(err)
	}
	var paths []string
	var walk func(v any, at string)
	walk = func(v any, at string) {
		m, _ := v.(map[string]any)
		for k, x := range m {
			paths = append(paths, at+"/"+k)
			walk(x, at+"/"+k)
		}
	}
	walk(doc, "")
	whole := func(what string, answer any, says string) {
		t.Helper()
		b, err := json.Marshal(answer)
		if err != nil || strings.Contains(string(b), "NaN") || strings.Contains(string(b), "Inf") {
			t.Errorf("%s: %v %.200s", what, err, b)
		}
		if says == "" {
			t.Errorf("%s: nothing is said", what)
		}
	}
	slices.Sort(paths)
	step := 9 // the review's own test takes them all
	if os.Getenv("DEEP") != "" {
		step = 1
	}
	for i := 0; i < len(paths); i += step {
		path := paths[i]
		for _, op := range []finding.Op{{Op: "remove", Path: path}, {Op: "replace", Path: path, Value: 0.0}, {Op: "replace", Path: path, Value: 1e7}} {
			for _, outing := range []string{"boat-day", "two-seater-day"} {
				odd, err := plan.Apply(p, []finding.Op{op})
				if err != nil {
					continue // not a number's place
				}
				q := review.Request{Outing: outing, Trailer: "grey-flatbed"}
				what := op.Op + " " + path
				arranged := study.Arrange(context.Background(), odd, q, nil)
				whole("arrange, "+what, arranged, arranged.Says.Text(odd.Locale()))
				racks := study.PlanRacks(context.Background(), odd, q)
				whole("racks, "+what, racks, racks.Says.Text(odd.Locale()))
			}
		}
	}
	if len(paths) < 200 {
		t.Errorf("only %d members", len(paths))
	}
}

// The same of what is tied down: every second member of straps, tie points, lashings and
// placements missing or odd, the report at rest and the planning of straps answer.
func TestTiesAreTotal(t *testing.T) {
	long(t)
	p := hut(t)
	const at = "/outings/boat-day/layouts/grey-flatbed"
	q := review.Request{Outing: "boat-day", Trailer: "grey-flatbed"}
	planned := study.PlanTies(context.Background(), p, q)
	p, err := plan.Apply(p, append(planned.Patch, finding.Op{Op: "add", Path: at + "/placements/skiff/blocked", Value: map[string]any{"front": true, "takes": 40.0}},
		finding.Op{Op: "add", Path: "/trailers/grey-flatbed/tiePoints/front-left/fastening", Value: map[string]any{"bolt": 0.008, "in": "ply", "thick": 0.012, "washer": 0.03}}))
	if err != nil {
		t.Fatal(err)
	}
	data, err := plan.Write(p)
	if err != nil {
		t.Fatal(err)
	}
	var doc any
	if err := json.Unmarshal(data, &doc); err != nil {
		t.Fatal(err)
	}
	var paths []string
	var walk func(v any, path string)
	walk = func(v any, path string) {
		m, _ := v.(map[string]any)
		for k, x := range m {
			if next := path + "/" + k; strings.HasPrefix(next, "/straps") || strings.Contains(next, "tiePoints") || strings.HasPrefix(next, at+"/lashings/tie-1") || strings.HasPrefix(next, at+"/placements/skiff") {
				paths = append(paths, next)
			}
			walk(x, path+"/"+k)
		}
	}
	walk(doc, "")
	slices.Sort(paths)
	for i := 0; i < len(paths); i += 2 {
		path := paths[i]
		for _, op := range []finding.Op{{Op: "remove", Path: path}, {Op: "replace", Path: path, Value: 0.0}, {Op: "replace", Path: path, Value: 1e7}} {
			odd, err := plan.Apply(p, []finding.Op{op})
			if err != nil {
				continue
			}
			rep := study.Settled(context.Background(), odd, q)
			b, err := json.Marshal(rep)
			if err != nil || strings.Contains(string(b), "NaN") || len(rep.TieSays) == 0 {
				t.Errorf("%s %s: %v, %q", op.Op, path, err, rep.TieSays.Text(odd.Locale()))
			}
			if i%12 == 0 {
				if a := study.PlanTies(context.Background(), odd, q); len(a.Says) == 0 {
					t.Errorf("%s %s: nothing is said", op.Op, path)
				}
			}
		}
	}
	if len(paths) < 40 {
		t.Errorf("only %d members", len(paths))
	}
}
