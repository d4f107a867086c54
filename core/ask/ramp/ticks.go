package ramp

import (
	"zygonos/core/lang/finding"
	"zygonos/core/rig"
)

// cardSteps is how many places of the drive the card looks at.
const cardSteps = 60

// Ticks are the departure card's lines of the loading card's way on, with the mark on the floor
// among the places.
func Ticks(r *rig.Rig) []finding.Tick {
	s, missing, fails := Prepare(r)
	if s == nil || len(missing) > 0 || fails != nil {
		return nil
	}
	out := []finding.Tick{{Under: finding.UnderPlaces, ID: "place-mark", Says: s.Mark()}}
	on, _ := s.Card(s.Course(cardSteps))
	for _, l := range on {
		if l.ID != "mark" && l.ID != "stow" {
			out = append(out, finding.Tick{Under: finding.UnderLoading, ID: "load-" + l.ID, Says: l.Says})
		}
	}
	return out
}
