package review_test

import (
	"testing"

	"zygonos/core/internal/sample"
	"zygonos/core/plan"
	"zygonos/core/review"
	"zygonos/core/rig"
)

// The demo's rigs with nothing, or every other thing, placed by its owner: what is not stated to
// find no room stands in nothing, and the report comes out.
func TestDemoLeftToTheApp(t *testing.T) {
	for _, id := range []string{"skarrow-hut", "heather-hives"} {
		for every := 1; every <= 2; every++ {
			p := sample.Demo(t, id)
			for _, o := range p.OutingIDs() {
				for _, l := range p.Outings[o].Layouts {
					n := 0
					for k, pl := range l.Placements {
						if n++; n%every == 0 {
							pl.On, pl.ID, pl.Slot = plan.OnAny, "", ""
							l.Placements[k] = pl
						}
					}
				}
			}
			for _, o := range p.OutingIDs() {
				rep := review.Review(p, review.Request{Outing: o})
				if len(rep.Findings) == 0 || len(rep.Headline.Says) == 0 {
					t.Errorf("%s %s: no report", id, o)
				}
				confirmed := map[string]bool{}
				for _, f := range rep.Findings {
					if f.Code == review.CodePlaced && len(f.Fixes) > 0 {
						for _, op := range f.Fixes[0].Patch {
							confirmed[op.Path] = true
						}
					}
				}
				r := rig.Resolve(p, rep.Scope.Trailer, o)
				for i := range r.Items {
					for k := range r.Items {
						a, b := &r.Items[i], &r.Items[k]
						if i != k && confirmed[a.PlacePath] && a.Overlaps(b) && a.Front < b.Rear-1e-6 && b.Front < a.Rear-1e-6 {
							t.Errorf("%s %s: %s stands in %s", id, o, a.Name, b.Name)
						}
					}
				}
			}
		}
	}
}
