package review_test

import (
	"context"
	"encoding/json"
	"fmt"
	"slices"
	"strings"
	"testing"

	"zygonos/core/internal/sample"
	"zygonos/core/lang/finding"
	"zygonos/core/plan"
	"zygonos/core/review"
	"zygonos/core/study"
)

// first is a plan as the first run makes it, with all that it asks for: the paths, and the rest
// of a trailer that may be stated later.
var first = []string{
	"/trailers/t", `{"order":1,"name":"Trailer","couplingToAxle":{"value":2.5,"how":"weighed"},"couplingToDeck":{"value":1,"how":"weighed"},
	 "deckLength":{"value":2.5,"how":"weighed"},"deckWidth":{"value":1.4,"how":"weighed"},"label":{"value":750,"counts":"gross"},"brakes":"none","empty":{"ball":{"mass":20}}}`,
	"/towVehicles/car", `{"order":1,"name":"Car","towUnbraked":750,"ballLimit":75}`,
	"/outings/o", `{"order":1,"name":"First outing","vehicle":"car","layouts":{"t":{"placements":{"load":{"on":"any","at":{"back":0}}}}}}`,
}

// at gives what stands at a path of a document, or nil.
func at(doc any, path string) any {
	for _, k := range strings.Split(path, "/")[1:] {
		m, ok := doc.(map[string]any)
		if !ok {
			return nil
		}
		doc = m[k]
	}
	return doc
}

// With each answer of a first run missing in turn no check is a dead end: what is not known
// names fields and where to read them, none of which is stated with certainty already; and every
// stage says something or asks for something.
func TestNoCheckIsADeadEnd(t *testing.T) {
	for _, kind := range []string{`"sit-on-top-fishing"`, `"ride-on"`, `"heap"`, `""`, `"water-tank"`} {
		for _, gone := range []string{"", "/loads/load/kind", "/loads/load/mass", "/trailers/t/couplingToAxle", "/trailers/t/couplingToDeck", "/trailers/t/deckLength",
			"/trailers/t/deckWidth", "/trailers/t/label", "/trailers/t/brakes", "/trailers/t/empty/ball", "/towVehicles/car/towUnbraked", "/towVehicles/car/ballLimit",
			"/outings/o/vehicle", "/trailers/t/kind", "/outings/o/layouts/t/placements/load"} {
			sets := append(
				[]string{
					"/loads",
					`{"load":{"order":1,"name":"It","kind":` + kind + `,"mass":{"value":120,"how":"guessed"},"size":{},"centre":{}}}`,
				},
				first...)
			sets = append(sets, "/trailers/t/kind", `"kit"`)
			if gone != "" {
				sets = append(sets, gone, "-")
			}
			p := sample.Plan(t, sets...)
			rep := study.Settled(context.Background(), p, review.Request{})
			data, _ := plan.Write(p)
			var doc any
			if err := json.Unmarshal(data, &doc); err != nil {
				t.Fatal(err)
			}
			spoke := map[string]bool{}
			for _, f := range rep.Findings {
				spoke[f.Stage] = true
				if bad := deadEnd(doc, &f); bad != "" {
					t.Errorf("%s without %q: %s: %s: %s", kind, gone, f.Code, bad, f.Says.Text(p.Locale()))
				}
			}
			// a bought trailer has no frame to draw and nothing to put together: those stages may be silent
			for _, stage := range review.Stages {
				if !spoke[stage] &&
					(gone != "/outings/o/layouts/t/placements/load" && gone != "/loads/load/kind" && !slices.Contains(quiet[kind], stage) && stage != "job" && stage != "road" && stage != "frame" && stage != "wiring" && stage != "body" && stage != "workshop" && stage != "finish" && stage != "money" && stage != "papers" && stage != "log" && stage != "practice") {
					t.Errorf("%s without %q: %s says nothing", kind, gone, stage)
				}
			}
		}
	}
}

// deadEnd says what is wrong with what a finding asks for.
func deadEnd(doc any, f *finding.Finding) string {
	if f.Outcome != finding.Unknown {
		return ""
	}
	if len(f.Needs) == 0 {
		return "it is not known and asks for nothing"
	}
	for _, n := range f.Needs {
		if len(n.Says) == 0 || len(n.Where) == 0 {
			return "it asks for " + n.Path + " without words"
		}
		if v := at(doc, n.Path); v != nil && !open(v) &&
			!strings.Contains(n.Path, "/lashings/") { // a strap's way is drawn again
			return fmt.Sprintf("it asks for %s, which is told: %v", n.Path, v)
		}
	}
	return ""
}

// The same holds of the demo and of a machine on ramps with any one thing taken out.
func TestNoGapIsADeadEnd(t *testing.T) {
	long(t)
	demo, _ := demoDoc(t)
	plan.Clean(demo)
	for name, p := range map[string]*plan.Plan{"demo": demo, "machine": sample.Plan(t, machine()...)} {
		data, _ := plan.Write(p)
		var doc any
		if err := json.Unmarshal(data, &doc); err != nil {
			t.Fatal(err)
		}
		var paths []string
		leaves(doc, "", &paths)
		seen := map[string]bool{}
		for _, path := range append(paths, "") {
			var ops []finding.Op
			if strings.HasSuffix(path, "/order") || strings.HasSuffix(path, "/plusMinus") ||
				strings.HasSuffix(path, "/how") ||
				strings.HasSuffix(path, "/name") {
				continue
			}
			if path != "" {
				ops = []finding.Op{{Op: "remove", Path: path}}
			}
			q, err := plan.Apply(p, ops)
			if err != nil {
				continue
			}
			plan.Clean(q)
			left, _ := plan.Write(q)
			var without any
			if err := json.Unmarshal(left, &without); err != nil {
				t.Fatal(err)
			}
			for _, o := range q.OutingIDs() {
				rep := review.Review(q, review.Request{Outing: o})
				for i := range rep.Findings {
					f := &rep.Findings[i]
					if bad := deadEnd(without, f); bad != "" && !seen[f.Code+bad] {
						seen[f.Code+bad] = true
						t.Errorf(
							"%s %s without %q: %s: %s: %s",
							name,
							o,
							path,
							f.Code,
							bad,
							f.Says.Text(q.Locale()),
						)
					}
				}
			}
		}
	}
}

// quiet are the stages that a kind of load has no business in. Job speaks of musts alone, and
// Road is the card.
var quiet = map[string][]string{
	`"sit-on-top-fishing"`: {
		"ramps",
	}, `"ride-on"`: {"racks"}, `"heap"`: {"racks", "ramps"}, `""`: {"racks", "ramps"}, `"water-tank"`: {"racks", "ramps"},
}

// open reports whether what stands there may still be asked for: a guess, something empty, a
// thing as a whole of which a part is missing, a choice to be made again (text), or a place that
// the app found.
func open(v any) bool {
	m, ok := v.(map[string]any)
	_, choice := v.(string)
	return choice || v == 0.0 || ok && (m["how"] == "guessed" || m["how"] == "typical" || m["value"] == nil)
}
