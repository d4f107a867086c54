package tip

import (
	"math"

	"zygonos/core/facts/norms"
	"zygonos/core/lang/finding"
	"zygonos/core/lang/quantity"
	"zygonos/core/lang/said"
)

// low asks how near the tail comes to the ground.
func (s *Setup) low() (finding.Finding, bool) {
	f := s.base(CodeTail, "The tail above the ground", "hinge/back")
	h := s.tail(s.stop)
	f.Figure, f.Limit = finding.Exactly(quantity.KindLength, h), finding.Exactly(quantity.KindLength, tailLeast)
	switch {
	case h < 0:
		f.Outcome = finding.Fails
		f.Says = said.Say(
			"At the stop the tail would be % below the ground. Move the hinge back or higher, or stop sooner.",
			said.Length(-h),
		)
	case h < tailLeast:
		f.Outcome, f.Tight = finding.Tight, finding.LittleRoom
		f.Says = said.Say(
			"At the stop the tail is % above the ground: it digs into the heap. Pull forward as it empties.",
			said.Length(h),
		)
	default:
		f.Says = said.Say("At the stop the tail is % above the ground.", said.Length(h))
	}
	return f, true
}

// balance is the ball load with the bed raised and the load stuck on it.
func (s *Setup) balance() (finding.Finding, bool) {
	f := s.base(CodeBall, "The ball as it rises", "unhitched")
	least, at, known := math.Inf(1), 0.0, false
	lowest := math.Inf(1) // by the guesses
	for i := range s.Swept {
		if s.r.Bears != nil && s.r.Axle != nil {
			lowest = math.Min(lowest, s.leastBall(s.Swept[i].Angle))
		}
		if b, ok := s.ball(s.Swept[i].Angle); ok && b < least {
			least, at, known = b, s.Swept[i].Angle, true
		}
	}
	if !known {
		return f, false
	}
	f.Figure, f.Limit = finding.Exactly(quantity.KindMass, least), finding.Exactly(quantity.KindMass, 0.0)
	switch {
	case least >= 0 && lowest < 0:
		f.Outcome, f.Tight = finding.Tight, finding.GuessTooRough
		f.Says = said.Say(
			"With the load stuck at the stop the ball still carries %, but by the guesses the {coupling} may lift the car's tail with %. Weigh bed and load.",
			said.Mass(least),
			said.Mass(-lowest),
		)
	case least >= 0:
		f.Says = said.Say("With the load stuck at the stop the ball still carries %.", said.Mass(least))
	case s.t.Unhitched:
		f.Outcome = finding.Fails
		f.Says = said.Say(
			"With the load stuck, at % the trailer tips over backward: the {coupling} lifts with %. Tip it hitched, or with props under the tail.",
			said.Of(quantity.KindAngle, at),
			said.Mass(-least),
		)
	default:
		f.Outcome, f.Tight = finding.Tight, finding.LittleRoom
		f.Says = said.Say(
			"With the load stuck, at % the {coupling} lifts the car's tail with %. Tip it only hitched, with latch and pin checked, parking brake on and wheels chocked.",
			said.Of(quantity.KindAngle, at),
			said.Mass(-least),
		)
	}
	return f, true
}

// side asks whether the raised bed topples on a slope across, one wheel sunk in and the load stuck to one side:
//
//	tan α = (track/2 − e)/h
func (s *Setup) side() (finding.Finding, bool) {
	f := s.base(CodeSide, "Toppling sideways, raised", "slope")
	h, empty := s.r.CentreHeight(), s.r.EmptyMass()
	if h == nil || empty == nil || s.r.Trailer.Track == nil {
		return f, false
	}
	mass, load := empty.Nominal, 0.0
	for i := range s.r.Items {
		if m := s.r.Items[i].Mass; m != nil {
			mass += m.Nominal
		}
	}
	for _, i := range s.loads {
		load += s.r.Items[i].Mass.Nominal
	}
	if !(mass > 0) {
		return f, false
	}
	track := float64(s.r.Trailer.Track.Value)
	up := h.High + s.risen(s.stop)/mass
	off := track/2 - sideways*s.r.DeckWidth()*load/mass
	topple := math.Atan2(off, up)
	slope, told := slopeUsual, false
	if s.t.Slope != nil {
		slope, told = *s.t.Slope, true
	}
	wanted := topples * (slope + math.Atan2(sinks, track))
	f.AtMost(quantity.KindAngle, wanted, topple)
	f.Says = said.Say(
		"Raised, with the load stuck to one side, it topples at %; the ground's % with a wheel sunk in and a reserve make %.",
		said.Of(
			quantity.KindAngle,
			topple,
		),
		said.Of(quantity.KindAngle, slope),
		said.Of(quantity.KindAngle, wanted),
	)
	if f.Outcome == finding.Fails {
		f.Says = append(f.Says, said.Say(" Use only level, firm ground; put a board under the lower wheel.")...)
	}
	if !told && f.Outcome == finding.Holds {
		f.Says = append(f.Says, said.Say(" Stop at once if a wheel sinks.")...)
	}
	return f, true
}

// prop asks for what stands under the raised bed before anybody reaches under it.
func (s *Setup) prop() finding.Finding {
	f := s.base(CodeProp, "A prop under the bed", "prop")
	f.Source = norms.Practice("nobody under a raised bed without a prop")
	bed := s.bed.High
	switch {
	case !s.t.Prop:
		f.Outcome, f.Tight = finding.Tight, finding.LittleRoom
		f.Says = said.Say(
			"There is no prop: nobody may reach under the raised bed, for grease or a stone. Build in one that stands by itself.",
		)
	case s.t.PropMax != nil && float64(*s.t.PropMax) < bed:
		f.Outcome = finding.Fails
		f.Figure, f.Limit = finding.Exactly(
			quantity.KindMass,
			bed,
		), finding.Exactly(
			quantity.KindMass,
			float64(*s.t.PropMax),
		)
		f.Says = said.Say(
			"The prop carries %, and the empty bed weighs up to %. Use a stronger one.",
			said.Mass(*s.t.PropMax),
			said.Mass(bed),
		)
	case s.t.PropMax == nil:
		f.Outcome, f.Tight = finding.Tight, finding.GuessTooRough
		f.Says = said.Say(
			"A prop stands under the raised bed; what it carries is not entered. The empty bed weighs up to %.",
			said.Mass(bed),
		)
	default:
		f.Says = said.Say("A prop stands under the raised bed, for the empty bed only; hands off the hinge.")
	}
	return f
}
