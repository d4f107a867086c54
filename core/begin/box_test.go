package begin_test

import (
	"testing"

	"zygonos/core/ask/box"
	"zygonos/core/begin"
	"zygonos/core/internal/sample"
	"zygonos/core/lang/finding"
	"zygonos/core/plan"
	"zygonos/core/rig"
)

// Every body begins so that it can be judged at once: nothing that it brings itself fails on the empty trailer; as high as its
// kind is, each heavier than the one before, and with its centre over the middle of the deck's width.
func TestBoxBegins(t *testing.T) {
	last := 0.0
	for _, kind := range []string{"cage", "sides", "box"} {
		p := sample.Plan(t, "/outings/o/layouts/t/placements", `{}`)
		ops, err := begin.Patch(p, &begin.Asked{What: "box", Kind: kind, ID: "b", Outing: "o", Trailer: "t"})
		if err != nil {
			t.Fatal(err)
		}
		q, err := plan.Apply(p, ops)
		if err != nil || len(plan.Clean(q)) > 0 {
			t.Fatalf("%s: %v", kind, err)
		}
		r := rig.Resolve(q, "t", "o")
		for _, f := range box.Check(r) {
			if f.Outcome == finding.Fails {
				t.Errorf("%s begins with %s: %v", kind, f.Code, f.Says)
			}
		}
		it := r.Items[0]
		if it.Mass == nil || !(it.Mass.Nominal > last) || it.Y > 1e-9 || it.Y < -1e-9 {
			t.Errorf("%s: %+v, the one before %v kg", kind, it.Mass, last)
			continue
		}
		last = it.Mass.Nominal
	}
	if _, err := begin.Patch(sample.Plan(t), &begin.Asked{What: "box", ID: "b", Outing: "gone", Trailer: "t"}); err == nil {
		t.Error("a body on no outing")
	}
}
