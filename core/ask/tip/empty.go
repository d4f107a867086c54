package tip

import (
	"zygonos/core/facts/norms"
	"zygonos/core/lang/finding"
	"zygonos/core/lang/quantity"
	"zygonos/core/lang/said"
)

// slide asks whether the load slides before the stop.
func (s *Setup) slide() (finding.Finding, bool) {
	f := s.base(CodeSlide, "Does it empty?", "stop")
	f.Gate = ""
	low, high, loose := s.slides()
	if !loose {
		return f, false
	}
	f.Source = norms.Practice("slopes at which loose material slides, wide ranges")
	stop := degrees(s.stop)
	f.Figure = finding.Exactly(quantity.KindAngle, s.stop)
	f.Limit = finding.Exactly(quantity.KindAngle, radians(high))
	says := said.Say("It stops at %; the load slides between % and %.", said.Of(quantity.KindAngle, s.stop),
		said.Of(quantity.KindAngle, radians(low)), said.Of(quantity.KindAngle, radians(high)))
	switch {
	case stop >= high:
		f.Says = append(says, said.Say(" It empties on its own.")...)
	case stop >= low:
		f.Outcome, f.Tight = finding.Tight, finding.GuessTooRough
		f.Says = append(
			says,
			said.Say(" Some of it stays: use a rake or a smoother lining, or raise it higher. Nobody climbs in.")...)
	default:
		f.Outcome, f.Tight = finding.Tight, finding.LittleRoom
		f.Says = append(says, said.Say(" It does not slide: raise it higher, use a plastic lining, or a shovel from behind.")...)
	}
	return f, true
}

// gate asks whether the tailgate opens wide enough for the lumps.
func (s *Setup) gate() (finding.Finding, bool) {
	f := s.base(CodeGate, "Tailgate and lumps", "gateOpens")
	f.Gate = ""
	if s.t.GateOpens == nil || s.t.Lumps == nil {
		return f, false
	}
	opens, wants := float64(*s.t.GateOpens), lumpsWide*float64(*s.t.Lumps)
	f.Figure, f.Limit = finding.Exactly(quantity.KindLength, opens), finding.Exactly(quantity.KindLength, wants)
	if opens < wants {
		f.Outcome, f.Tight = finding.Tight, finding.LittleRoom
		f.Says = said.Say("The tailgate opens %; lumps of % jam when it opens less than %. Take it off, or hinge it at the bottom.",
			said.Length(opens), said.Length(*s.t.Lumps), said.Length(wants))
		return f, true
	}
	f.Says = said.Say("The tailgate opens % for lumps of %.", said.Length(opens), said.Length(*s.t.Lumps))
	return f, true
}
