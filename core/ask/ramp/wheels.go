package ramp

import (
	"slices"

	"zygonos/core/lang/finding"
	"zygonos/core/lang/said"
)

// wheelLess is how much smaller a machine's wheels may be than its kind's usual ones (C).
const wheelLess = 0.8

// smaller asks the checks on the line and on small wheels once more with smaller ones, where the
// machine's own are not stated: what holds on the usual ones alone does not plainly hold.
func (s *Setup) smaller(out []finding.Finding) []finding.Finding {
	if !s.RoughWheel {
		return out
	}
	less := *s
	less.RoughWheel = false
	less.Body.FrontR, less.Body.RearR = wheelLess*s.Body.FrontR, wheelLess*s.Body.RearR
	again := less.winch(less.Course(stepsLive))
	if f, is := less.small(); is {
		again = append(again, f)
	}
	need := []finding.Need{{
		Path:  s.Item.Path + "/rolling/wheel",
		Says:  said.Say("the diameter of its wheels"),
		Where: said.Say("Tape it; the usual figure for its kind is used."),
	}}
	for _, f := range again {
		if f.Outcome == finding.Holds {
			continue
		}
		at := slices.IndexFunc(out, func(o finding.Finding) bool { return o.Key() == f.Key() })
		switch {
		case at < 0 && f.Code == CodeSmall:
			f.Says = slices.Concat(said.Say("Its wheels may be smaller than usual: "), f.Says)
			f.Outcome, f.Tight, f.Needs = finding.Tight, finding.GuessTooRough, need
			out = append(out, f)
		case at >= 0 && out[at].Outcome == finding.Holds:
			out[at].Outcome, out[at].Tight, out[at].Needs = finding.Tight, finding.GuessTooRough, need
			out[at].Says = slices.Concat(
				out[at].Says, said.Say(" With wheels smaller than usual it may not do: tape them."),
			)
		}
	}
	return out
}
