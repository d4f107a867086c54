package towing

import (
	"zygonos/core/finding"
	"zygonos/core/plan"
	"zygonos/core/quantity"
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
		best, _, known := room(r, links(r), (front+rear)/2, false)
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
