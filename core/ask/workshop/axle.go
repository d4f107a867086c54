package workshop

import (
	"errors"
	"math"

	"zygonos/core/lang/finding"
	"zygonos/core/lang/quantity"
	"zygonos/core/lang/said"
	"zygonos/core/plan"
	"zygonos/core/rig"
	"zygonos/core/sums/survey"
)

// offOf is how far the axle sits to the right of the frame's middle, m: half of what the right hub stands farther out.
func offOf(a *plan.AxleTaped) float64 {
	if a.RailLeft == nil || a.RailRight == nil {
		return 0
	}
	return float64(*a.RailRight-*a.RailLeft) / 2
}

// axle judges how the axle stands, a second one beside it, and the wheels' toe.
func axle(r *rig.Rig, a *plan.AxleTaped) (out []finding.Finding) {
	f := base(r, CodeAxle, "The axle's line", "axle/left")
	if a.Left == nil || a.Right == nil || a.Apart == nil {
		return append(
			out,
			need(
				r,
				f,
				"axle/left",
				"the lengths from the {coupling} to both spindles, and how far those places are apart",
				"A wire hooked in the {coupling}'s middle, to the same place of both spindles; without slack.",
			),
		)
	}
	x, err := survey.NewAxle(float64(*a.Left), float64(*a.Right), float64(*a.Apart), offOf(a), doubtOf(a.Tape))
	if err != nil {
		f.Outcome, f.Says = finding.Fails, said.Say(
			"These three lengths make no triangle. One of them is misread or mistyped.",
		)
		if !errors.Is(err, survey.ErrShape) {
			f.Says = said.Say("A length of the axle makes no sense. Enter it again.")
		}
		return append(out, f)
	}
	out = append(out, yawed(r, a, x, f))
	if a.SecondLeft != nil && a.SecondRight != nil {
		out = append(out, tandem(r, a, x))
	}
	if a.RimFront != nil && a.RimRear != nil && a.RimAcross != nil {
		out = append(out, toed(r, a))
	}
	return out
}

// yawed says how far the tail runs beside the car's track, and which hanger to shift.
func yawed(r *rig.Rig, a *plan.AxleTaped, x *survey.Axle, f finding.Finding) finding.Finding {
	long := x.Behind
	if r.DeckFront != nil && r.Trailer.DeckLength != nil {
		long = math.Max(long, r.DeckFront.Nominal+r.DeckLength())
	}
	tail, doubt := math.Abs(x.Tail(long)), 2*x.YawDoubt*long
	low, high := math.Max(0, tail-doubt), tail+doubt
	f.Figure = &finding.Measure{Kind: quantity.KindLength, Value: tail, Low: &low, High: &high}
	f.Limit = finding.Exactly(quantity.KindLength, tailMay)
	side := "left"
	if x.Yaw < 0 {
		side = "right"
	}
	if tail <= doubt {
		f.Says = said.Say(
			"The axle is square as far as the tape can show: its tail runs within % of the car's track.",
			said.Length(math.Max(0.001, high)),
		)
	} else {
		f.Says = said.Say("The axle is off by %: the tail runs % to the "+side+" of the car's track, give or take %. A single axle does not scrub because of that.",
			said.Of(quantity.KindAngle, math.Abs(x.Yaw)), said.Length(tail), said.Length(math.Max(0.001, doubt)))
		f.Says = append(f.Says, shift(a, x)...)
	}
	switch {
	case low > tailBad:
		f.Outcome = finding.Fails
	case low > tailMay:
		f.Outcome, f.Tight = finding.Tight, finding.LittleRoom
	case high > tailMay:
		f.Outcome, f.Tight = finding.Tight, finding.GuessTooRough
		f.Says = append(f.Says, said.Say(" Tape with more care: % matters.", said.Length(tailMay))...)
	}
	if f.Outcome != finding.Holds && a.RailLeft == nil {
		f.Says = append(
			f.Says,
			said.Say(" An axle that only sits to one side looks the same: tape from both rails to the hubs.")...)
	}
	return f
}

// shift is which hanger goes where.
func shift(a *plan.AxleTaped, x *survey.Axle) said.Sentence {
	if a.Hangers == nil {
		return nil
	}
	by := x.Shift(float64(*a.Hangers))
	hanger := "right"
	if by < 0 {
		hanger = "left"
	}
	says := said.Say(
		" Move the "+hanger+" hanger % to the rear, or half of it and the other forward.",
		said.Length(math.Abs(by)),
	)
	if a.Slots != nil && math.Abs(by) > float64(*a.Slots) {
		says = append(says, said.Say(" The slots give only %: drill new holes, or use plates.", said.Length(*a.Slots))...)
	}
	return says
}

// tandem is how far two axles are out of parallel: each wheel slips by half of the angle.
func tandem(r *rig.Rig, a *plan.AxleTaped, x *survey.Axle) finding.Finding {
	f := base(r, CodeTandem, "Two axles, parallel", "axle/secondLeft")
	y, err := survey.NewAxle(
		float64(*a.SecondLeft),
		float64(*a.SecondRight),
		float64(*a.Apart),
		offOf(a),
		doubtOf(a.Tape),
	)
	if err != nil {
		f.Outcome, f.Says = finding.Fails, said.Say(
			"The second axle's lengths make no triangle. One of them is misread or mistyped.",
		)
		return f
	}
	angle, doubt := math.Abs(x.Yaw-y.Yaw), 2*math.Hypot(x.YawDoubt, y.YawDoubt)
	return scrubbed(f, angle/2, doubt/2, said.Say("Their lines are off by %", said.Of(quantity.KindAngle, angle)),
		" Move one pair of hangers to match the other.")
}

// toed is what the wheels' toe scrubs.
func toed(r *rig.Rig, a *plan.AxleTaped) finding.Finding {
	f := base(r, CodeToe, "Toe", "axle/rimFront")
	angle, ok := survey.Toe(float64(*a.RimFront), float64(*a.RimRear), float64(*a.RimAcross))
	if !ok {
		f.Outcome, f.Says = finding.Fails, said.Say("The rims' lengths give no toe. Enter them again.")
		return f
	}
	way := "in"
	if angle < 0 {
		way = "out"
	}
	doubt := 2 * doubtOf(a.Tape) * math.Sqrt2 / (2 * float64(*a.RimAcross))
	return scrubbed(
		f,
		math.Abs(angle),
		doubt,
		said.Say("Each wheel is toed "+way+" by %", said.Of(quantity.KindAngle, math.Abs(angle))),
		" A bent axle or spindle goes to a workshop, not to the torch.",
	)
}

// scrubbed holds a slip of every wheel against what a tyre bears; each wheel slips by angle.
func scrubbed(f finding.Finding, angle, doubt float64, says said.Sentence, do string) finding.Finding {
	scrub, low := survey.Scrub(angle)/1000, survey.Scrub(math.Max(0, angle-doubt))/1000
	high := survey.Scrub(angle+doubt) / 1000
	f.Figure = &finding.Measure{Kind: quantity.KindShare, Value: scrub, Low: &low, High: &high}
	f.Limit = finding.Exactly(quantity.KindShare, scrubMay)
	f.Says = append(
		says,
		said.Say(": every {tyre} is dragged sideways by % of its way; it tolerates % for years.",
			said.Share(scrub), said.Share(scrubMay))...)
	switch {
	case low > scrubBad:
		f.Outcome = finding.Fails
		f.Says = append(f.Says, said.Say(do)...)
	case low > scrubMay:
		f.Outcome, f.Tight = finding.Tight, finding.LittleRoom
		f.Says = append(f.Says, said.Say(do)...)
	case high > scrubMay:
		f.Outcome, f.Tight = finding.Tight, finding.GuessTooRough
		f.Says = append(f.Says, said.Say(" The tape is too rough to tell: read it to half a millimetre.")...)
	}
	return f
}
