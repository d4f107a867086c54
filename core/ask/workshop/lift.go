package workshop

import (
	"math"
	"strings"

	"zygonos/core/lang/finding"
	"zygonos/core/lang/quantity"
	"zygonos/core/parts"
	"zygonos/core/plan"
	"zygonos/core/rig"
)

// Limits of one person (practice, C): on the hands at an edge that is tipped over, and at an end that is lifted; half of the
// thing hangs on either.
const (
	tipsAlone  = 25.0 // kg
	liftsAlone = 25.0 // kg
)

// Usual masses where the plan has none (practice, C), kg.
const (
	smallFrame = 40.0
	aWheel     = 16.0
	aHead      = 4.0
	aFloor     = 12.0 // a square metre
)

// lift is what is together so far.
type lift struct {
	r     *rig.Rig
	kg    float64
	known bool // by the drawing, or weighed
	done  map[string]bool
	two   bool
}

// newLift begins with what is there before the first step: nothing, or a frame that is already one.
func newLift(r *rig.Rig, from plan.BuildBegins) *lift {
	l := &lift{r: r, done: map[string]bool{}}
	switch from {
	case plan.FromCamper: // frame and axle, which never came off
		l.add("tack")
		l.add("axle")
		l.add("wheels")
	case plan.FromBought:
		l.kg = smallFrame
		if e := r.EmptyMass(); e != nil {
			l.kg, l.known = e.High, true
		}
		l.two = l.end() > liftsAlone
		l.done["axle"], l.done["wheels"], l.done["coupling"], l.done["deck"], l.done["tack"] = true, true, true, true, true
	}
	return l
}

// end is what one end of it weighs on the hands, kg.
func (l *lift) end() float64 { return l.kg / 2 }

// turners is how many people turn it over an edge: half of its weight on the hands; two at least where nobody knows it.
func (l *lift) turners() int {
	kg := l.kg
	if !(kg > 0) {
		kg = smallFrame
	}
	n := int(math.Ceil(kg/2/tipsAlone - 1e-9))
	if !l.known {
		return max(2, n)
	}
	return max(1, n)
}

// weighs is what is together; nil where nothing is.
func (l *lift) weighs() *finding.Measure {
	if !(l.kg > 0) || !l.known {
		return nil
	}
	return finding.Exactly(quantity.KindMass, math.Round(l.kg))
}

// crossed reports, once, that an end has become too heavy for one.
func (l *lift) crossed() bool {
	if l.two || l.end() <= liftsAlone {
		return false
	}
	l.two = true
	return true
}

// add puts on what a step adds.
func (l *lift) add(step string) {
	if step == "fit" { // a kit is a frame from its first bolts on, as bars are from their tacks
		step = "tack"
	}
	if l.done[step] {
		return
	}
	l.done[step] = true
	r := l.r
	wheels := aWheel * 2 * float64(r.Trailer.AxleCount())
	switch {
	case step == "tack":
		l.kg += l.frame()
	case step == "axle":
		l.kg += math.Max(0, float64(r.Gear().Value)-wheels)
	case step == "wheels":
		l.kg += wheels
	case step == "coupling":
		l.kg += aHead
	case step == "deck":
		floor := 0.0
		for _, b := range r.Bits() {
			if strings.Contains(b.Name, "floor") {
				floor += b.Mass.Value
			}
		}
		if floor == 0 {
			floor = aFloor * r.DeckLength() * r.DeckWidth()
		}
		l.kg += floor
	case step == "bed":
		if t := r.Trailer.Tipping; t != nil && t.Mass != nil {
			l.kg += float64(t.Mass.Value)
		}
	case strings.HasPrefix(step, "body-"):
		if part := r.Plan.Parts[strings.TrimPrefix(step, "body-")]; part.Box != nil {
			m, _, _ := parts.BoxMass(part.Box)
			l.kg += m.High
		}
	}
}

// frame is the frame alone: by its drawing, else what the empty trailer weighs less its gear.
func (l *lift) frame() float64 {
	r := l.r
	if r.Drawn != nil && r.Drawn.Mass > 0 {
		l.known = true
		return r.Drawn.Mass * (1 + parts.Extra(r.Trailer.Frame))
	}
	if e := r.EmptyMass(); e != nil {
		l.known = true
		return math.Max(smallFrame/2, e.High-float64(r.Gear().Value))
	}
	return smallFrame
}
