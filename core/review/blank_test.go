package review_test

import (
	"context"
	"encoding/json"
	"slices"
	"strings"
	"testing"

	"zygonos/core/internal/sample"
	"zygonos/core/lang/finding"
	"zygonos/core/plan"
	"zygonos/core/review"
	"zygonos/core/study"
)

// stated are paths whose zero is a statement like any other, and sizes and doubts that fall
// back to a kind's range or a provenance's own.
var stated = []string{"/order", "/at/", "/kerb", "/fall", "/raised", "/longer", "/fill", "/count", "/size/", "plusMinus", "relative", "/sideHeight", "/gateHeight", "/ticks", "/centre/"}

// Whatever single figure is blank, or zero, no check that failed, was not known or too rough
// comes to hold for it.
func TestBlankNeverHolds(t *testing.T) {
	long(t)
	demo, _ := demoDoc(t)
	plan.Clean(demo)
	for name, c := range map[string]struct {
		p       *plan.Plan
		outings []string
	}{"demo": {demo, demo.OutingIDs()}, "machine": {sample.Plan(t, machine()...), []string{"o"}}} {
		data, _ := plan.Write(c.p)
		var doc any
		if err := json.Unmarshal(data, &doc); err != nil {
			t.Fatal(err)
		}
		var paths []string
		leaves(doc, "", &paths)
		for _, o := range c.outings {
			q := review.Request{Outing: o}
			was := map[string]finding.Finding{}
			for _, f := range study.Settled(context.Background(), fresh(t, data), q).Findings {
				was[f.Key()] = f
			}
			for _, path := range paths {
				if !number(doc, path) || slices.ContainsFunc(stated, func(s string) bool { return strings.Contains(path, s) }) {
					continue
				}
				for _, op := range []finding.Op{{Op: "remove", Path: path}, {Op: "replace", Path: path, Value: 0.0}} {
					p, err := plan.Apply(fresh(t, data), []finding.Op{op})
					if err != nil {
						continue
					}
					rep := review.Review(p, q)
					for _, f := range rep.Findings {
						b, known := was[f.Key()]
						if known && f.Outcome == finding.Holds && b.Outcome != finding.Holds && b.Tight != finding.LittleRoom {
							t.Errorf("%s %s: with %s of %s %s comes from %s to hold: %s", name, o, op.Op, path, f.Code, b.Outcome, f.Says.Text(p.Locale()))
						}
					}
				}
			}
		}
	}
}

func fresh(t *testing.T, data []byte) *plan.Plan {
	p, err := plan.Read(data)
	if err != nil {
		t.Fatal(err)
	}
	plan.Clean(p)
	return p
}

func number(doc any, path string) bool {
	v := doc
	for _, k := range strings.Split(path, "/")[1:] {
		m, ok := v.(map[string]any)
		if !ok {
			return false
		}
		v = m[k]
	}
	_, ok := v.(float64)
	return ok
}

// A weight without a value, or of zero, is one that nobody knows: nothing that takes it may
// hold. The chain's sixteen links once did.
func TestMassOfZeroIsBlank(t *testing.T) {
	for _, path := range []string{"/loads/crate/mass", "/trailers/t/empty", "/towVehicles/car/kerb", "/outings/o/people"} {
		for _, none := range []string{`{"how":"guessed"}`, `{"value":0,"how":"weighed"}`} {
			put := []string{path, none, "/loads/crate/kind", `""`}
			if path == "/trailers/t/empty" {
				put = []string{path + "/mass", none, path + "/axle", "-", "/trailers/t/deckLength", "-"}
			}
			rep := review.Review(sample.Plan(t, put...), review.Request{})
			for i := range rep.Findings {
				f := &rep.Findings[i]
				reads := strings.HasPrefix(f.Code, "towing.link.") || f.Code == "balance.ball-window" || f.Code == "towing.payload"
				if path == "/towVehicles/car/kerb" || path == "/outings/o/people" {
					reads = f.Code == "towing.link.car-gross" || f.Code == "towing.link.train" || f.Code == "towing.link.rear" && path == "/outings/o/people"
				}
				if reads && f.Outcome == finding.Holds && f.Code != "towing.link.hitch-d" {
					t.Errorf("%s %s: %s holds", path, none, f.Code)
				}
			}
		}
	}
}
