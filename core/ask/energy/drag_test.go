package energy

import (
	"cmp"
	"math"
	"math/rand/v2"
	"slices"
	"testing"
)

// What a column of things covers of the height over a place, against a count of a thousand slices: all of it, and by blunt ones.
func TestCovered(t *testing.T) {
	r := rand.New(rand.NewPCG(3, 4))
	for range 300 {
		var fronts []frontal
		for range r.IntN(9) {
			left, bottom := r.Float64()*2-1.5, r.Float64()*1.5
			fronts = append(fronts, frontal{left, left + r.Float64(), bottom, bottom + r.Float64(), r.IntN(2) == 0})
		}
		slices.SortFunc(fronts, func(a, b frontal) int { return cmp.Compare(a.bottom, b.bottom) })
		x, from := r.Float64()*2-1, r.Float64()
		all, blunt := covered(fronts, x, from)
		const steps = 4000
		var wantAll, wantBlunt float64
		for k := range steps {
			z := 3 * (float64(k) + 0.5) / steps
			is, isBlunt := false, false
			for _, f := range fronts {
				if x > f.left && x < f.right && z > f.bottom && z < f.top && z > from {
					is, isBlunt = true, isBlunt || !f.hull
				}
			}
			if is {
				wantAll += 3.0 / steps
			}
			if isBlunt {
				wantBlunt += 3.0 / steps
			}
		}
		if math.Abs(all-wantAll) > 0.01 || math.Abs(blunt-wantBlunt) > 0.01 {
			t.Fatalf("%+v at %v over %v: %v and %v, want %v and %v", fronts, x, from, all, blunt, wantAll, wantBlunt)
		}
	}
}
