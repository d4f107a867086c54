package frame

import (
	"math"

	"zygonos/core/facts/norms"
	"zygonos/core/lang/finding"
	"zygonos/core/lang/quantity"
	"zygonos/core/lang/said"
	"zygonos/core/parts"
	"zygonos/core/plan"
	"zygonos/core/rig"
)

// CodeSeat is the code of the finding on how the axle is fixed to the frame.
const CodeSeat = "frame.seat"

// bracket is half the length of the plate under a rail, m (practice, C).
const bracket = 0.10

// seat judges how an axle is fixed: a rubber one never by a weld near it, one in slots within its rails. What is
// not entered is asked for where it matters, under a rubber axle.
func seat(r *rig.Rig) (finding.Finding, bool) {
	t := r.Trailer
	f := base(r, CodeSeat, "The axle's seat")
	f.Subject += "/axleFixed"
	f.Source = norms.Practice("maker's instructions of rubber axles: bolted, no heat near the rubber")
	rubber := t.Suspension == plan.SpringsTorsion
	switch {
	case t.Frame.AxleFixed == "" && !rubber:
		return f, false
	case t.Frame.AxleFixed == "":
		f.Outcome, f.Says = finding.Unknown, said.Say("How the rubber axle is fixed is not entered.")
		f.Needs = []finding.Need{{
			Path: f.Subject, Says: said.Say("how the axle is fixed to the frame"),
			Where: said.Say("Bolted to plates, or in saddles with slots. Never welded near the rubber."),
		}}
	case t.Frame.AxleFixed == plan.AxleWelded && rubber:
		f.Outcome, f.Says = finding.Fails, said.Say(
			"The rubber axle is to be welded on: heat ruins its rubber. Weld plates or saddles to the rails while the axle is away, and bolt it to them.",
		)
	case t.Frame.AxleFixed == plan.AxleWelded && t.AxleMoves != nil:
		f.Outcome, f.Tight = finding.Tight, finding.LittleRoom
		f.Says = said.Say(
			"The axle is entered both as movable and as welded on. One of the two is wrong.",
		)
	case t.Frame.AxleFixed == plan.AxleWelded:
		f.Says = said.Say("The spring hangers are welded to the rails, so the axle's position is fixed.")
	case t.Frame.AxleFixed == plan.AxleSlots && t.AxleMoves == nil:
		f.Outcome, f.Says = finding.Unknown, said.Say("How far the slots let the axle move is not entered.")
		f.Needs = []finding.Need{{
			Path: "/trailers/" + r.Scope.Trailer + "/axleMoves/min", Says: said.Say("where the slots begin and end"),
			Where: said.Say(
				"From the {coupling} to the axle, with the axle at the slots' front end and at their rear end.",
			),
		}}
	case t.Frame.AxleFixed == plan.AxleSlots:
		slots(r, &f)
	default:
		f.Says = said.Say("The axle is bolted through plates.")
	}
	if f.Outcome == finding.Holds && t.Frame.AxleFixed != plan.AxleWelded {
		f.Says = append(f.Says, sleeved(r)...)
	}
	return f, true
}

// slots holds the ends of the slots against the rails that carry the saddles, and the axle's place against the
// slots.
func slots(r *rig.Rig, f *finding.Finding) {
	t := r.Trailer
	low, high := float64(t.AxleMoves.Min), float64(t.AxleMoves.Max)
	f.Says = said.Say("In its slots the axle moves between % and % behind the {coupling}.",
		said.Length(low), said.Length(high))
	if r.Axle == nil || r.DeckFront == nil {
		f.Outcome, f.Needs = finding.Unknown, r.Needs
		return
	}
	if x := r.Axle.Nominal; x < low-1e-6 || x > high+1e-6 {
		f.Outcome = finding.Fails
		f.Figure = finding.Exactly(quantity.KindLength, x)
		f.Says = said.Say(
			"The axle is % behind the {coupling}; its slots reach from % to %. Move it, or weld the saddles on elsewhere.",
			said.Length(x),
			said.Length(low),
			said.Length(high),
		)
		return
	}
	half := 0.0
	if at := r.AxlesAt(); len(at) > 1 {
		half = (at[len(at)-1] - at[0]) / 2
	}
	front := r.DeckFront.Nominal
	for _, sign := range [2]float64{-1, 1} {
		from, to := math.Inf(1), math.Inf(-1)
		for i := range r.Drawn.Bars {
			b := &r.Drawn.Bars[i]
			if b.Member.Role == plan.RoleRail && b.Middle().Y*sign > 0.05 {
				from, to = math.Min(from, math.Min(b.From.X, b.To.X)), math.Max(to, math.Max(b.From.X, b.To.X))
			}
		}
		if from > to || low-front-half-bracket >= from-1e-6 && high-front+half+bracket <= to+1e-6 {
			continue
		}
		f.Outcome = finding.Fails
		f.Says = append(
			f.Says,
			said.Say(" The rails reach only from % to %: at one end of the slots the saddle hangs in the air.",
				said.Length(from+front), said.Length(to+front))...)
		return
	}
	f.Says = append(f.Says, said.Say(" Put a stop bolt behind the saddle: friction alone lets it creep.")...)
}

// sleeved says what a bolt does to a closed rail.
func sleeved(r *rig.Rig) said.Sentence {
	for i := range r.Drawn.Bars {
		b := &r.Drawn.Bars[i]
		if b.Member.Role == plan.RoleRail && hollow(b) {
			return said.Say(
				" Bolts through a closed rail need a tube welded in for each, or the walls give way under the nut.",
			)
		}
	}
	return nil
}

func hollow(b *parts.FrameBar) bool { return b.Member.Profile.Wall > 0 && !b.Twist.Open }
