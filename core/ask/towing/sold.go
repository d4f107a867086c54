package towing

import (
	"zygonos/core/lang/finding"
	"zygonos/core/lang/quantity"
	"zygonos/core/plan"
	"zygonos/core/rig"
)

// Sold tells the payload of a trailer as it is sold, and after what is fitted to
// it: at the middle of the deck, by the trailer's own ratings alone. What is not
// known is nil; without the trailer's own rating it is the most that the others
// allow only where the trailer has no plate.
func Sold(p *plan.Plan, trailer string) (bare, fitted *finding.Measure) {
	t, ok := p.Trailers[trailer]
	if !ok || t.Label == nil && !t.NoPlate {
		return nil, nil
	}
	at := func(p *plan.Plan) *finding.Measure {
		r := rig.Resolve(p, trailer, "")
		front, rear := r.Deck()
		best, _, known := room(r, links(r), (front+rear)/2, likely)
		if !known {
			return nil
		}
		return finding.Exactly(quantity.KindMass, best)
	}
	fitted = at(p)
	if len(t.Fitted) == 0 {
		return fitted, fitted
	}
	without := *p
	without.Trailers = map[string]plan.Trailer{}
	t.Fitted = nil
	without.Trailers[trailer] = t
	return at(&without), fitted
}

// LabelReading is the label's number in one of the two ways to read it.
type LabelReading struct {
	Counts plan.Counts `json:"counts"` // gross or payload
	Meant  bool        `json:"meant"`  // by what is stated of the label, or not excluded by it
	Own    float64     `json:"own"`    // kg, the trailer without what is placed
	Load   float64     `json:"load"`   // kg, what is placed
	Left   float64     `json:"left"`   // kg of load that the number leaves in all; negative: less than the trailer itself
	Mark   float64     `json:"mark"`   // kg on the scale of trailer and load together
	Over   bool        `json:"over"`
}

// LabelReadings tells what a label comes to when it counts trailer and load
// together, and when it counts the load alone; nil while something is not known.
func LabelReadings(r *rig.Rig) []LabelReading {
	label, total, cargo := r.Trailer.Label, r.Total(), r.Cargo()
	if label == nil || total == nil || cargo == nil {
		return nil
	}
	v, load := float64(label.Value), cargo.Nominal
	own := total.Nominal - load
	return []LabelReading{
		{
			plan.CountsGross,
			label.Counts != plan.CountsPayload,
			own,
			load,
			v - own,
			v,
			quantity.Exceeds(total.Nominal, v),
		},
		{plan.CountsPayload, label.Counts != plan.CountsGross, own, load, v, own + v, quantity.Exceeds(load, v)},
	}
}
