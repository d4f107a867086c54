package review_test

import (
	"math"
	"testing"

	"zygonos/core/begin"
	"zygonos/core/internal/sample"
	"zygonos/core/lang/finding"
	"zygonos/core/plan"
	"zygonos/core/review"
	"zygonos/core/rig"
)

// A cradle that is added under a boat fits it: the rollers bear it alike, the bow stands at its stop, and the
// boat lies where it stood before, where its owner or the app had put it.
func TestCradleFitsBoat(t *testing.T) {
	for _, placed := range []string{`{"on":"deck","at":{"back":-0.4}}`, `{"on":"any"}`} {
		p := sample.Plan(t, "/loads/crate/kind", `"skiff"`, "/loads/crate/size", `{"length":{"value":4.2,"how":"weighed"},"width":{"value":1.2,"how":"weighed"},"height":{"value":0.6,"how":"weighed"}}`,
			"/outings/o/layouts/t/placements/crate", placed)
		review.Ready(p)
		before := front(t, p)
		ops, err := begin.Patch(p, &begin.Asked{What: "cradle", ID: "c", Outing: "o", Trailer: "t"})
		if err != nil {
			t.Fatal(err)
		}
		next, err := plan.Apply(p, ops)
		if err != nil {
			t.Fatal(err)
		}
		rep := review.Review(next, review.Request{})
		for _, code := range []string{"launch.support", "launch.bow"} {
			f := sample.Find(t, rep.Findings, code)
			if f.Outcome != finding.Holds {
				t.Errorf("%s: %s %s", code, f.Outcome, f.Says.Text(next.Locale()))
			}
		}
		if now := front(t, next); math.Abs(now-before) > 1e-9 {
			t.Errorf("its front was at %v and is at %v", before, now)
		}
	}
}

// front is where the crate begins behind the ball.
func front(t *testing.T, p *plan.Plan) float64 {
	t.Helper()
	for _, it := range rig.Resolve(p, "t", "o").Items {
		if it.ID == "crate" {
			return it.Front
		}
	}
	t.Fatal("no crate")
	return 0
}
