package review_test

import (
	"strings"
	"testing"

	"zygonos/core/internal/sample"
	"zygonos/core/lang/finding"
	"zygonos/core/plan"
	"zygonos/core/review"
)

// What nobody knows any longer never makes a check hold that did not: of cars and trailers, outings, straps, ramps and
// racks, and of what loads are like, every figure is taken away in turn. Left out is what is a thing of its own, and so gone with its weight or its
// force: what is fitted, members of the frame, lamps, lashings; a drawbar that is to be longer; what is weighed better
// than to its usual doubt.
func TestKnowingLessNeverHoldsMore(t *testing.T) {
	long(t)
	full, paths := demoDoc(t)
	own := sample.Demo(t, "ostrel-lock")
	tried := 0
	for _, c := range []struct {
		p     *plan.Plan
		paths []string
	}{{full, paths}, {own, pathsOf(t, own)}} {
		for outing := range c.p.Outings {
			before := map[string]finding.Outcome{}
			for _, f := range review.Review(c.p, review.Request{Outing: outing}).Findings {
				before[f.Key()] = f.Outcome
			}
			for _, path := range c.paths {
				if !known(path) {
					continue
				}
				less, err := plan.Apply(c.p, []finding.Op{{Op: "remove", Path: path}})
				if err != nil {
					continue
				}
				tried++
				for _, f := range review.Review(less, review.Request{Outing: outing}).Findings {
					was, has := before[f.Key()]
					if has && was != finding.Holds && f.Outcome == finding.Holds {
						t.Errorf("%s without %s: %s was %s and holds: %s", outing, path, f.Code, was, f.Says.Text(c.p.Locale()))
					}
				}
			}
		}
	}
	if tried < 1500 {
		t.Errorf("only %d were taken away", tried)
	}
}

// known reports whether a path is of a figure that may be known or not.
func known(path string) bool {
	for _, thing := range []string{"/fitted", "/members", "/lamps", "/bars", "/money", "/longer", "/plusMinus"} {
		if strings.Contains(path, thing) {
			return false
		}
	}
	part := strings.Split(path, "/")
	switch {
	case len(part) < 4:
		return false
	case part[1] == "trailers", part[1] == "towVehicles":
		return true
	case part[1] == "outings": // ground that nobody described is level; without a car only the trailer is judged
		last := part[len(part)-1]
		return len(part) == 4 && last != "layouts" && last != "vehicle" ||
			len(part) > 6 && part[5] == "loading" && last != "fall" && last != "kerb"
	case part[1] == "parts":
		return len(part) > 4 && part[3] != "size" // which says where it lies
	case part[1] == "straps":
		return true
	}
	return part[1] == "loads" && (part[3] == "size" || part[3] == "centre" || part[3] == "rolling")
}
