package studies_test

import (
	"encoding/json"
	"slices"
	"strings"
	"testing"

	"zygonos/core/finding"
	"zygonos/core/plan"
	"zygonos/core/review"
	"zygonos/core/studies"
	"zygonos/demo"
)

// Whatever single member is missing or odd in the demo plan, arrangements, rack
// layouts, sway and turning give an answer or say why there is none: no panic, no
// figure that is no number.
func TestStudiesAreTotal(t *testing.T) {
	data, _ := demo.Files.ReadFile("skarrow-hut.zygonos.json")
	p, _ := plan.Read(data)
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
	for i := 0; i < len(paths); i += 4 { // every fourth; the review's own test takes them all
		path := paths[i]
		for _, op := range []finding.Op{{Op: "remove", Path: path}, {Op: "replace", Path: path, Value: 0.0}, {Op: "replace", Path: path, Value: 1e7}} {
			for _, outing := range []string{"boat-day", "two-seater-day"} {
				odd, err := plan.Apply(p, []finding.Op{op})
				if err != nil {
					continue // not a number's place
				}
				q := review.Request{Outing: outing, Trailer: "grey-flatbed"}
				what := op.Op + " " + path
				arranged := studies.Arrange(odd, q, nil, nil)
				whole("arrange, "+what, arranged, arranged.Says.Text(odd.Locale()))
				racks := studies.PlanRacks(odd, q)
				whole("racks, "+what, racks, racks.Says.Text(odd.Locale()))
			}
		}
	}
	if len(paths) < 200 {
		t.Errorf("only %d members", len(paths))
	}
}
