package tip

import (
	"math"

	"zygonos/core/facts/norms"
	"zygonos/core/lang/finding"
	"zygonos/core/lang/quantity"
	"zygonos/core/lang/said"
	"zygonos/core/sums/tipping"
)

// strut asks whether gas struts stay within their stroke, and what the empty bed does on them when they are warm: in
// the sweep they push as cold ones.
func (s *Setup) strut() (finding.Finding, bool) {
	f := s.base(CodeStrut, "Gas struts", "struts")
	if s.t.Struts < 1 {
		return f, false
	}
	f.Source = norms.Practice(
		"gas struts, 0.82 of their rating in frost, 1.07 in the sun, steeper by 1.2 to 1.4 when closed",
	)
	root := "/trailers/" + s.r.Scope.Trailer + "/tipping/"
	switch {
	case s.t.StrutPush == nil:
		return need(f, root+"strutPush", "what a gas strut pushes with", "In newtons on its tube."), true
	case s.t.StrutClosed == nil:
		return need(f, root+"strutClosed", "its length when closed", "Between its eyes."), true
	case s.t.StrutOpen == nil:
		return need(f, root+"strutOpen", "its length when open", "Between its eyes."), true
	}
	closed, open := float64(*s.t.StrutClosed), float64(*s.t.StrutOpen)
	if closed >= open {
		f.Outcome = finding.Fails
		f.Says = said.Say(
			"A strut is entered as % long closed and % open: one of the two is wrong.",
			said.Length(closed),
			said.Length(open),
		)
		return f, true
	}
	st := &s.warm.Struts[0]
	short, long, through := math.Inf(1), 0.0, false
	for i := range s.Swept {
		l, _, arm, _ := st.At(s.gear.Hinge, s.Swept[i].Angle)
		short, long = math.Min(short, l), math.Max(long, l)
		through = through || arm < 0
	}
	f.Figure, f.Limit = finding.Exactly(quantity.KindLength, long), finding.Exactly(quantity.KindLength, open)
	switch {
	case short < closed-1e-6:
		f.Outcome = finding.Fails
		f.Says = said.Say(
			"Its eyes come as close as %; closed, a strut is % long. It would be crushed: move its foot away.",
			said.Length(short),
			said.Length(closed),
		)
		return f, true
	case long > open+1e-6:
		f.Outcome = finding.Fails
		f.Says = said.Say(
			"Its eyes come % apart; open, a strut is % long and is no stop for a bed. Use a longer one, or move its head nearer to the hinge.",
			said.Length(long),
			said.Length(open),
		)
		return f, true
	}
	bed := []tipping.Weight{{Kg: s.bed.Low, Centre: s.likely[0].Centre}}
	down, up := s.warm.Moment(bed, 0), s.warm.Moment(bed, s.stop)
	reach := math.Hypot(s.gear.Pick.X-s.gear.Hinge.X, s.gear.Pick.Z-s.gear.Hinge.Z)
	pull := 0.0
	if reach > 0 {
		pull = math.Max(0, -up) / reach / tipping.Gravity
	}
	f.Figure, f.Limit = finding.Exactly(
		quantity.KindMass,
		pull,
	), finding.Exactly(
		quantity.KindMass,
		handShort/tipping.Gravity,
	)
	switch {
	case pull > handShort/tipping.Gravity:
		f.Outcome = finding.Fails
		f.Says = said.Say(
			"The empty bed takes % to pull down again: the struts are too strong. Use weaker ones, or set them farther from the front.",
			said.Mass(pull),
		)
	case down < 0:
		f.Outcome, f.Tight = finding.Tight, finding.LittleRoom
		f.Says = said.Say(
			"Warm struts raise the empty bed by themselves: it jumps up when its latch opens. Hold it down and stand aside; it takes % to pull it down again.",
			said.Mass(pull),
		)
	case through:
		f.Outcome, f.Tight = finding.Tight, finding.LittleRoom
		f.Says = said.Say("Near the bottom the struts push the bed down, not up. Move their foot lower.")
	default:
		f.Says = said.Say("The struts stay within their stroke; it takes % to pull the empty bed down again.", said.Mass(pull))
	}
	return f, true
}
