package frame

import (
	"math"

	"gonum.org/v1/gonum/spatial/r3"

	"zygonos/core/lang/quantity"
	"zygonos/core/lang/said"
	"zygonos/core/plan"
	"zygonos/core/sums/tipping"
)

// hingesApart is how far the two hinges of a bed stand apart, share of the deck's width (practice, C).
const hingesApart = 0.6

// tipped are the cases of a bed that is raised with its load on it, as it starts and at its stop: what hinge and
// mast, cylinder or lever pass on to the frame. The floor and sides of the drawing stay where they are besides, so
// that a little more is counted than there is.
func tipped(m *model) (out []loadCase) {
	b := m.r.Tip()
	if b == nil || b.Stays {
		return nil
	}
	for _, c := range []struct {
		id, name string
		angle    float64
	}{{"tip-start", "the bed as it starts to rise", 0}, {"tip-stop", "the bed at its stop, the load stuck on it", b.Stop}} {
		heavy, err := b.Gear.Hold(b.Heavy, c.angle)
		likely, err2 := b.Gear.Hold(b.Likely, c.angle)
		if err != nil || err2 != nil || math.IsInf(heavy.Pull+likely.Pull, 0) {
			continue
		}
		out = append(out, loadCase{
			id: c.id, name: said.Say(c.name), why: practice,
			load: func(l *loader, all []body, high bool) bool {
				ok, f := l.weigh(unladen(all), still(1), high), &likely
				if high {
					f = &heavy
				}
				side := hingesApart * l.r.DeckWidth() / 2
				for _, y := range [2]float64{-side, side} {
					at := vec{X: b.Gear.Hinge.X, Y: y, Z: b.Gear.Hinge.Z}
					l.nearest(at, at, half(f.Hinge))
				}
				for _, strut := range f.Struts { // one at each side
					for _, y := range [2]float64{-side, side} {
						at := vec{X: float64(b.Told.StrutFoot.Back), Y: y, Z: float64(b.Told.StrutFoot.Up)}
						l.nearest(at, at, half(strut))
					}
				}
				stands, acts := feetOf(b.Told, f)
				l.nearest(stands, acts, vec{X: f.Foot.X, Z: f.Foot.Z})
				return ok
			},
		})
	}
	return out
}

func half(f tipping.Vec) vec { return vec{X: f.X / 2, Z: f.Z / 2} }

// feetOf is where what raises the bed stands on the frame, and where its force acts: that of a mast at its top, of
// hands on the bed nowhere.
func feetOf(t *plan.Tipping, f *tipping.Force) (stands, acts vec) {
	stands = vec{X: float64(t.Foot.Back), Z: float64(t.Foot.Up)}
	if t.By == plan.TipByMast {
		return stands, vec{X: f.Top.X, Z: f.Top.Z}
	}
	return stands, stands
}

// nearest puts a force on the point of the frame that is nearest to where what passes it on stands, with the moment
// of where it acts. A mast that is not drawn passes its force on as if it were stiff.
func (l *loader) nearest(at, acts, force vec) {
	best, where, near := -1, 0.0, math.Inf(1)
	for i := range l.bars {
		b := &l.bars[i]
		if b.Length == 0 {
			continue
		}
		s := math.Max(0, math.Min(b.Length, r3.Dot(r3.Sub(at, b.From), b.Axes[0])))
		if d := r3.Norm(r3.Sub(at, b.At(s))); d < near-1e-9 {
			best, where, near = i, s, d
		}
	}
	if best < 0 || !quantity.Finite(force.X+force.Z) {
		return
	}
	l.onBar(best, where, force, r3.Cross(r3.Sub(acts, l.bars[best].At(where)), force))
}
