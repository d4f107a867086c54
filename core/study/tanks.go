package study

import (
	"zygonos/core/ask/balance"
	"zygonos/core/ask/pump"
	"zygonos/core/plan"
	"zygonos/core/review"
	"zygonos/core/rig"
)

// Tanks are an outing's tanks over every fill, with the minutes that its pump draws from each.
func Tanks(p *plan.Plan, trailer, outing string) []balance.FilledTank {
	review.Ready(p)
	r := rig.Resolve(p, trailer, outing)
	out := balance.Fills(r)
	given := pump.Show(r)
	if given == nil || !(given.Litres > 0) {
		return out
	}
	for i := range out {
		for k := range out[i].Steps {
			s := &out[i].Steps[k]
			minutes := s.Litres / given.Litres
			s.Minutes = &minutes
		}
	}
	return out
}
