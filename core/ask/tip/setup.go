// Package tip answers whether a bed that empties itself does so: what line, cylinder or hands bear at every angle,
// whether the load slides, whether the trailer stands meanwhile, and what holds the bed up. Formulas:
// docs/method/tip.md.
package tip

import (
	"math"

	"zygonos/core/facts/norms"
	"zygonos/core/lang/finding"
	"zygonos/core/lang/quantity"
	"zygonos/core/plan"
	"zygonos/core/rig"
	"zygonos/core/sums/tipping"
)

// Stage under which the findings stand.
const Stage = "body"

// steps of a sweep from down to its stop.
const steps = 200

// Setup is a bed ready to be tipped.
type Setup struct {
	r    *rig.Rig
	t    *plan.Tipping
	gear tipping.Gear
	stop float64 // rad

	heavy  []tipping.Weight // bed and load at their most
	likely []tipping.Weight // as they are most likely
	behind []tipping.Weight // as far to the rear as is possible
	bed    quantity.Range[float64]
	warm   tipping.Gear    // with its struts as they push when warm
	loads  []int           // items on the bed
	stays  bool            // down on this outing
	Swept  []tipping.Force // from down to the stop; to where it sticks or does not reach
	err    error           // why it does not reach farther
	peak   int             // of Swept, where the pull is most
}

// vec is a spot as the mechanics count it.
func vec(s plan.TipSpot) tipping.Vec { return rig.TipSpot(s) }

// New is a rig's bed; nil where none is stated, or deck and bed are not known so far that it can be swept.
func New(r *rig.Rig) *Setup {
	if r == nil {
		return nil
	}
	b := r.Tip()
	if b == nil {
		return nil
	}
	s := &Setup{
		r:      r,
		t:      b.Told,
		gear:   b.Gear,
		stop:   b.Stop,
		heavy:  b.Heavy,
		likely: b.Likely,
		behind: b.Back,
		loads:  b.Loads,
		stays:  b.Stays,
		bed:    b.Bed,
		warm:   b.Warm,
	}
	s.sweep()
	return s
}

// sweep holds the bed at every angle, the whole load on it: one that sticks stays to the end.
func (s *Setup) sweep() {
	s.Swept = make([]tipping.Force, 0, steps+1)
	for i := range steps + 1 {
		f, err := s.gear.Hold(s.heavy, s.stop*float64(i)/steps)
		if err != nil {
			s.err = err
			return
		}
		if math.IsInf(f.Pull, 1) {
			s.err = errSticks
			return
		}
		if len(s.Swept) == 0 || f.Pull > s.Swept[s.peak].Pull {
			s.peak = len(s.Swept)
		}
		s.Swept = append(s.Swept, f)
	}
}

// most is the greatest pull over the whole way, N, and the angle at which it is; zero where it never moves.
func (s *Setup) most() (pull, angle float64) {
	if len(s.Swept) == 0 {
		return 0, 0
	}
	return math.Max(0, s.Swept[s.peak].Pull), s.Swept[s.peak].Angle
}

// Efficiencies of a sheave (practice, B).
const (
	ballBearing  = 0.96
	plainBearing = 0.90
)

// tackle is what tackle and leading sheaves give.
func (s *Setup) tackle() float64 {
	e := ballBearing
	if s.t.Plain {
		e = plainBearing
	}
	return tipping.Tackle(s.t.Parts, s.t.Leads, e)
}

// winds reports whether a line and a winch raise it.
func (s *Setup) winds() bool { return s.t.By == plan.TipByMast || s.t.By == plan.TipBySwing }

// pushes reports whether a cylinder does.
func (s *Setup) pushes() bool { return s.t.By == plan.TipByCylinder || s.t.By == plan.TipByLever }

// onDrum is the pull on the winch's drum, kg.
func (s *Setup) onDrum(n float64) float64 { return n / tipping.Gravity / s.tackle() }

// ball is the ball load with the bed at an angle, kg: what it is in the balance, less what goes to the rear,
//
//	B(θ) = B(0) − Σm·(x(θ) − x(0))/L
func (s *Setup) ball(angle float64) (kg float64, ok bool) {
	r := s.r
	if r.Bears == nil || r.Axle == nil || !(r.Axle.Nominal > 0) {
		return 0, false
	}
	return r.Bears.Ball.Nominal - s.back(angle)/r.Axle.Nominal, true
}

// leastBall is the least that it may be by the guesses, kg.
func (s *Setup) leastBall(angle float64) float64 {
	return s.r.Bears.Ball.Low - s.goesBack(s.heavy, angle)/s.r.Axle.Nominal
}

// back is by how much bed and load go to the rear, kg·m.
func (s *Setup) back(angle float64) float64 { return s.goesBack(s.likely, angle) }

func (s *Setup) goesBack(ws []tipping.Weight, angle float64) (sum float64) {
	for _, w := range ws {
		at := tipping.Vec{X: w.Centre.X - s.gear.Hinge.X, Z: w.Centre.Z - s.gear.Hinge.Z}
		sum += w.Kg * (tipping.Turned(at, angle).X - at.X)
	}
	return sum
}

// risen is by how much they come up, kg·m.
func (s *Setup) risen(angle float64) (sum float64) {
	for _, w := range s.likely {
		at := tipping.Vec{X: w.Centre.X - s.gear.Hinge.X, Z: w.Centre.Z - s.gear.Hinge.Z}
		sum += w.Kg * (tipping.Turned(at, angle).Z - at.Z)
	}
	return sum
}

// tail is how high the bed's rear edge stands over the ground at an angle, m.
func (s *Setup) tail(angle float64) float64 {
	at := tipping.Vec{X: s.r.DeckLength() - s.gear.Hinge.X, Z: -s.gear.Hinge.Z}
	return s.r.DeckHeight() + s.gear.Hinge.Z + tipping.Turned(at, angle).Z
}

// materials are the loose materials on the bed.
func (s *Setup) materials() (ids []string, loose bool) {
	for _, i := range s.loads {
		l := s.r.Items[i].Load
		if l == nil || l.Bulk == nil {
			continue
		}
		ids, loose = append(ids, l.Bulk.Material), true
	}
	return ids, loose
}

// slides is the range of slopes at which what is on the bed slides, degrees: of all materials the highest.
func (s *Setup) slides() (low, high float64, loose bool) {
	ids, loose := s.materials()
	for _, id := range ids {
		a, b := norms.Slides(id, s.t.Lining, s.t.Wet, s.t.Frozen)
		low, high = math.Max(low, a), math.Max(high, b)
	}
	return low, high, loose
}

// sliding is the pull at an angle with the load as it is likely, loose material leaving evenly over the range of slopes
// in which it slides, N; ok is false where none is loose.
func (s *Setup) sliding(angle float64) (pull float64, ok bool) {
	low, high, loose := s.slides()
	if !loose || !(high > low) {
		return 0, false
	}
	left := math.Max(0, math.Min(1, (high-degrees(angle))/(high-low)))
	ws := append([]tipping.Weight{}, s.likely...)
	for k, i := range s.loads {
		if l := s.r.Items[i].Load; l != nil && l.Bulk != nil {
			ws[k+1].Kg *= left
		}
	}
	f, err := s.gear.Hold(ws, angle)
	return f.Pull, err == nil
}

// degrees of an angle.
func degrees(rad float64) float64 { return rad * 180 / math.Pi }

func radians(deg float64) float64 { return deg * math.Pi / 180 }

// Peak is the greatest pull on the drum, the cylinder or the hands over the whole way, kg; ok is false where the bed does not
// come up to its stop.
func (s *Setup) Peak() (kg float64, ok bool) {
	n, _ := s.most()
	if s.err != nil || len(s.Swept) == 0 {
		return 0, false
	}
	if s.winds() {
		return s.onDrum(n), true
	}
	return n / tipping.Gravity, true
}

// With is the same bed with the same load on other gear.
func (s *Setup) With(t *plan.Tipping) *Setup {
	out := &Setup{
		r:      s.r,
		t:      t,
		gear:   rig.TipGear(t),
		stop:   s.stop,
		heavy:  s.heavy,
		likely: s.likely,
		behind: s.behind,
		loads:  s.loads,
		bed:    s.bed,
		warm:   s.warm,
	}
	out.sweep()
	return out
}

// Within reports whether its cylinder reaches from down to the stop.
func (s *Setup) Within() bool {
	f, told := s.stroke()
	return !told || f.Outcome != finding.Fails
}
