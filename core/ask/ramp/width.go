package ramp

import (
	"math"

	"zygonos/core/facts/norms"
	"zygonos/core/lang/finding"
	"zygonos/core/lang/quantity"
	"zygonos/core/lang/said"
	"zygonos/core/plan"
)

// Figures of practice (confidence C).
const (
	besideTyre = 0.03 // m of ramp beside a tyre
	gapMost    = 0.4  // of a wheel's radius, between treads
	stepMost   = 0.25 // of a wheel's radius, up onto the ramp
)

// tracks is where the wheels of both axles lie across: their tyres' outer and inner
// edges from the machine's middle, m.
func (s *Setup) tracks() (outer, inner float64) {
	outer, inner = (s.Track+s.Tyre)/2, (s.Track-s.Tyre)/2
	return max(outer, (s.FrontTrack+s.FrontTyre)/2), min(inner, (s.FrontTrack-s.FrontTyre)/2)
}

// Apart is how far the ramps' middles lie apart so that both axles' tyres find them, m.
func (s *Setup) Apart() float64 {
	outer, inner := s.tracks()
	return outer + inner
}

// width judges the machine between the deck's sides, and both axles' tyres on the ramps.
func (s *Setup) width() (finding.Finding, bool) {
	if s.Track <= 0 || s.Rig.Trailer.DeckWidth == nil {
		return finding.Finding{}, false
	}
	f := s.base(CodeWidth, "Between the sides")
	f.Source = norms.Practice("50 mm beside each tyre")
	outer, inner := s.tracks()
	wide, deck := 2*outer, s.Rig.DeckWidth()
	left := (deck - wide) / 2
	f.Figure, f.Limit = finding.Exactly(quantity.KindLength, left), finding.Exactly(quantity.KindLength, 0.05)
	switch {
	case left < 0:
		f.Outcome, f.Says = finding.Fails, said.Say(
			"Over its {tyre}s it is % wide, and the deck is %.",
			said.Length(wide),
			said.Length(deck),
		)
	case left < 0.05:
		f.Outcome, f.Tight, f.Says = finding.Tight, finding.LittleRoom, said.Say(
			"Only % beside each {tyre}.",
			said.Length(left),
		)
	default:
		f.Says = said.Say("% beside each {tyre}.", said.Length(left))
	}
	whole := s.Ramp.Kind == plan.RampFull || s.Ramp.Kind == plan.RampGate
	switch w := float64(s.Ramp.Width); {
	case whole && w > 0 && quantity.Exceeds(wide+2*besideTyre, w):
		f.Outcome, f.Tight = finding.Worse(f.Outcome, finding.Tight), finding.LittleRoom
		if quantity.Exceeds(wide, w) {
			f.Outcome, f.Tight = finding.Fails, ""
		}
		f.Says = append(f.Says, said.Say(" Over its {tyre}s it is % wide, and the ramp is %.", said.Length(wide), said.Length(w))...)
	case !whole && w <= 0 && f.Outcome != finding.Fails:
		f.Outcome, f.Tight = finding.Tight, finding.GuessTooRough
		f.Says = append(f.Says, said.Say(" How wide is one ramp? It needs %.", said.Length(outer-inner+2*besideTyre))...)
		f.Needs = []finding.Need{{
			Path:  "/parts/" + s.RampID + "/ramp/width",
			Says:  said.Say("the width of one ramp"),
			Where: said.Say("Tape its tread."),
		}}
	case !whole && w > 0:
		off := max(math.Abs(s.Track-s.Apart()), math.Abs(s.FrontTrack-s.Apart())) / 2
		switch need := outer - inner; {
		case off > w/2:
			f.Outcome = finding.Fails
			f.Says = append(
				f.Says,
				said.Say(
					" Its narrower wheels miss ramps of %: it needs %, or one ramp of full width.",
					said.Length(w),
					said.Length(need),
				)...)
		case quantity.Exceeds(need+2*besideTyre, w):
			f.Outcome, f.Tight = finding.Worse(f.Outcome, finding.Tight), finding.LittleRoom
			f.Says = append(
				f.Says,
				said.Say(" Ramps % wide leave little room beside {tyre}s over %.", said.Length(w), said.Length(need))...)
		}
	}
	f.Says = append(f.Says, said.Say(" Set the ramps % apart, middle to middle.", said.Length(s.Apart()))...)
	if left < 0.3 && s.Driver > 0 {
		f.Says = append(f.Says, said.Say(" The driver steps off over the front.")...)
	}
	usual(&f, s.RoughTrack)
	return f, true
}

// usual takes back that a check holds where it stands on usual figures of the machine.
func usual(f *finding.Finding, on []finding.Need) {
	if len(on) == 0 || f.Outcome == finding.Fails || f.Outcome == finding.Unknown {
		return
	}
	f.Outcome, f.Tight = finding.Tight, finding.GuessTooRough
	f.Says = append(f.Says, said.Say(" Its figures are the usual ones: tape them.")...)
	f.Needs = append(f.Needs, on...)
}

// small judges gaps between treads and the step at the foot against the smallest wheel.
func (s *Setup) small() (finding.Finding, bool) {
	r := min(s.Body.FrontR, s.Body.RearR)
	step, gap := s.step(), float64(s.Ramp.Gap)
	if s.Tilts || step <= stepMost*r && gap <= gapMost*r {
		return finding.Finding{}, false
	}
	f := s.base(CodeSmall, "Small wheels on the ramp")
	f.Source = norms.Practice("a step of a quarter, a gap of four tenths of the radius")
	f.Outcome, f.Tight = finding.Tight, finding.LittleRoom
	switch {
	case gap >= 2*r:
		f.Outcome, f.Says = finding.Fails, said.Say(
			"Wheels of % fall between treads % apart.",
			said.Length(2*r),
			said.Length(gap),
		)
	case step >= r:
		f.Outcome, f.Says = finding.Fails, said.Say(
			"Wheels of % do not climb a step of %: fill it.",
			said.Length(2*r),
			said.Length(step),
		)
	case gap > gapMost*r:
		// It sinks in by r − √(r² − (g/2)²).
		f.Figure = finding.Exactly(quantity.KindLength, r-math.Sqrt(r*r-gap*gap/4))
		f.Says = said.Say(
			"Treads % apart let its small wheels sink in by %, and casters turn aside there. Lay a sheet over them.",
			said.Length(gap),
			said.Length(f.Figure.Value),
		)
	default:
		push, _ := Bump(1, r, step)
		f.Figure = finding.Exactly(quantity.KindShare, push)
		f.Says = said.Say(
			"A step of % takes % of the axle's load to climb on wheels of %. Put a wedge in front of it.",
			said.Length(step),
			said.Share(push),
			said.Length(2*r),
		)
	}
	return f, true
}

// home says where its rear wheels would stand behind the tail.
func (s *Setup) home() (finding.Finding, bool) {
	behind := s.Top.U - s.Home
	if s.Tilts {
		_, tail := s.Rig.Deck()
		behind = -tail - s.Home
	}
	if behind <= 0 {
		return finding.Finding{}, false
	}
	f := s.base(CodeHome, "Both axles on the deck")
	f.Outcome, f.Figure = finding.Fails, finding.Exactly(quantity.KindLength, behind)
	f.Says = said.Say(
		"When it is home, its rear wheels would be % behind the tail. Put it farther forward, or use a longer deck.",
		said.Length(behind),
	)
	return f, true
}
