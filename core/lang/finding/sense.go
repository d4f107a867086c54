package finding

import (
	"math"

	"zygonos/core/lang/quantity"
	"zygonos/core/lang/said"
)

// senseless are the amounts from which on a figure of a small trailer is a slip or the end of
// a sum, in SI.
var senseless = map[quantity.Kind]float64{
	quantity.KindMass: 1e7, quantity.KindLength: 1e4, quantity.KindDistance: 1e9, quantity.KindSpeed: 1e4, quantity.KindShare: 1e5,
	quantity.KindPressure: 1e10, quantity.KindVolume: 1e5, quantity.KindDensity: 1e6, quantity.KindAngle: 100, quantity.KindCount: 1e12,
	quantity.KindMoney: 1e12, quantity.KindRate: 1e12, quantity.KindTime: 1e12, quantity.KindForce: 1e11, quantity.KindStress: 1e14, quantity.KindMoment: 1e12,
	quantity.KindArea: 1e6, quantity.KindFlow: 1e9, quantity.KindFuel: 1e9,
}

func senses(k quantity.Kind, v *float64) bool {
	if v == nil {
		return true
	}
	most, known := senseless[k]
	return quantity.Finite(*v) && (!known || math.Abs(*v) < most)
}

func (m *Measure) senses() bool {
	return m == nil || senses(m.Kind, &m.Value) && senses(m.Kind, m.Low) && senses(m.Kind, m.High)
}

// Sense takes out of findings what no figure may be: one that is not finite or lies beyond
// sense makes its finding Not known, with the reason; a margin that is none is left away.
func Sense(fs []Finding) {
	for i := range fs {
		f := &fs[i]
		if f.Margin != nil && !quantity.Finite(*f.Margin) {
			f.Margin = nil
		}
		ok := f.Figure.senses() && f.Limit.senses()
		for _, p := range f.Says {
			ok = ok && senses(p.Kind, p.Value) && senses(p.Kind, p.Low) && senses(p.Kind, p.High)
		}
		if ok {
			continue
		}
		f.Outcome, f.Tight, f.Figure, f.Limit, f.Margin, f.Fixes = Unknown, "", nil, nil, nil, nil
		f.HasWork, f.Work = false, nil
		f.Says = said.Say(
			"Not known: the result makes no sense. Some size or weight that goes in is far off.",
		)
		if len(f.Needs) == 0 {
			f.Needs = []Need{
				{
					Path:  f.Subject,
					Says:  said.Say("sizes and weights that make sense"),
					Where: said.Say("Look for one that is far too small or too large."),
				},
			}
		}
	}
}
