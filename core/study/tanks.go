package study

import (
	"zygonos/core/ask/balance"
	"zygonos/core/ask/pump"
	"zygonos/core/ask/stance"
	"zygonos/core/lang/quantity"
	"zygonos/core/lang/said"
	"zygonos/core/plan"
	"zygonos/core/review"
	"zygonos/core/rig"
)

// Tanks are an outing's tanks over every fill, with the minutes that its pump draws from each and what the tyres need.
func Tanks(p *plan.Plan, trailer, outing string) []balance.FilledTank {
	review.Ready(p)
	r := rig.Resolve(p, trailer, outing)
	out := balance.Fills(r)
	if out == nil {
		out = []balance.FilledTank{}
	}
	if given := pump.Show(r); given != nil && given.Litres > 0 {
		for i := range out {
			for k := range out[i].Steps {
				s := &out[i].Steps[k]
				minutes := s.Litres / given.Litres
				s.Minutes = &minutes
			}
		}
	}
	for i := range out {
		tyresOver(r, &out[i])
	}
	return out
}

// tyresOver says what a tyre needs at each fill, and by how much springs or, without any, the tyres alone give way from
// empty to full: Δz = ΔF/k.
func tyresOver(r *rig.Rig, t *balance.FilledTank) {
	if len(t.Steps) == 0 {
		return
	}
	most, _, _ := r.TyreLimit()
	full := r.Trailer.TyrePressure
	first, last := &t.Steps[0], &t.Steps[len(t.Steps)-1]
	if most != nil && full != nil {
		for k := range t.Steps {
			s := &t.Steps[k]
			p := quantity.Pressure(stance.ColdPressure(float64(*full), s.Wheel, *most))
			s.Pressure = &p
		}
		t.Tyres = said.Say("The {tyre}s need % or more when it is empty, and % when it is full.",
			said.Of(quantity.KindPressure, *first.Pressure), said.Of(quantity.KindPressure, *last.Pressure))
		if last.Wheel > *most {
			t.Tyres = append(t.Tyres, said.Say(" When it is full, the heavier one is above its rating.")...)
		}
	}
	rate, ok := r.Yields()
	if !ok {
		return
	}
	down := said.Length((last.OnAxle - first.OnAxle) / rate)
	if r.Trailer.Suspension == plan.SpringsNone {
		t.Tyres = append(
			t.Tyres,
			said.Say(
				" Without springs only the {tyre}s give, about % from empty to full: set their pressure for each drive.",
				down,
			)...)
		return
	}
	t.Tyres = append(t.Tyres, said.Say(" Full, it rides % lower than empty.", down)...)
}
