package box

import (
	"math"

	"zygonos/core/facts/norms"
	"zygonos/core/lang/finding"
	"zygonos/core/lang/quantity"
	"zygonos/core/lang/said"
)

// Figures of hinges (practice, C).
const (
	bumps     = 2.0 // times its weight that a door hangs on its hinges on a rough road
	hingeSpan = 0.8 // of a door's height between its outer hinges
)

// hinges asks what the worst hinge of the rear bears, as a mass. Of leaves that hang on their sides, w wide and h high:
//
//	H = 2·m·g·w/(2·0.8·h) + F/(2·leaves·n),  V = 2·m·g/n,  √(H² + V²)
//
// F what presses the rear open, half of it on the latches. Of a ramp door, a wheel of 1.3 times a machine's heavier axle that
// stands on one hinge, with its share of half the door.
func (b *Body) hinges() (finding.Finding, bool) {
	f := b.base(CodeHinges, "Hinges of the rear", "hinges")
	if b.b.OpenRear || !b.b.RampDoor && b.b.Leaves < 1 {
		return f, false
	}
	door := b.doorMass()
	switch {
	case !(door > 0):
		return b.need(f, "stick", "what the door is built of", "Its sticks and its skin."), true
	case b.b.Hinges < 1, b.b.Hinges < 2 && !b.b.RampDoor: // one alone lets a leaf hang and twist
		return b.need(f, "hinges", "how many hinges a door has", "At least two; three on a tall one."), true
	case b.b.HingeMax == nil:
		return b.need(f, "hingeMax", "what a hinge can take", "Its leaflet gives a working load."), true
	}
	n := float64(b.b.Hinges)
	var bears float64
	if b.b.RampDoor {
		axle, light := b.machineAxle()
		if light != "" {
			return weigh(f, light), true
		}
		bears = dynamic*axle/2 + bumps*door/2/n
	} else {
		kg, light := b.carried()
		if light != "" {
			return weigh(f, light), true
		}
		leaf := door / float64(b.b.Leaves)
		wide := float64(b.b.Wide) / float64(b.b.Leaves)
		across := bumps*leaf*wide/2/(hingeSpan*float64(b.b.High)) + b.outward(kg)/2/float64(b.b.Leaves)/n
		bears = math.Hypot(across, bumps*leaf/n)
	}
	f.AtMost(quantity.KindMass, bears, float64(*b.b.HingeMax))
	f.Source = norms.Practice("a door hung on its outer hinges, twice its weight on a rough road")
	f.Says = said.Say("The worst hinge carries %, of %.", said.Mass(bears), said.Mass(*b.b.HingeMax))
	switch {
	case f.Outcome == finding.Fails && b.b.RampDoor:
		f.Says = append(f.Says, said.Say(" Use stronger hinges, or a bar for the door’s edge to rest on.")...)
	case f.Outcome == finding.Fails:
		f.Says = append(f.Says, said.Say(" Use more or stronger hinges, farther apart, or two leaves.")...)
	default:
		f.Says = append(f.Says, said.Say(" Put the screws through the frame, not through the skin alone.")...)
	}
	return f, true
}
