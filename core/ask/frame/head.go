package frame

import (
	"math"

	"zygonos/core/lang/finding"
	"zygonos/core/lang/quantity"
	"zygonos/core/lang/said"
	"zygonos/core/rig"
)

// Codes of what is asked before the first cut only.
const (
	CodeHead   = "frame.head"
	CodeJockey = "frame.jockey"
)

// Figures of practice (confidence C), m.
const (
	headSlack  = 0.002 // between a head and its bar
	headBolt   = 0.012 // a usual bolt of a coupling head
	headAt     = 0.100 // behind the bars' front end, where its holes are
	gateSweeps = 0.60  // height over the ground over which a tailgate swings as it opens
	gateClear  = 0.05
	bumper     = 0.15 // m that the ball stands behind the bumper where it is not stated
)

// BeforeCut are the checks that matter before the first bar is cut: whether the coupling head goes on the
// drawbar as it is drawn, and whether the car's tailgate opens past the jockey wheel.
func BeforeCut(r *rig.Rig) []finding.Finding {
	if r.Drawn == nil || r.DeckFront == nil || len(r.Drawn.Noses) == 0 {
		return nil
	}
	return []finding.Finding{head(r), jockey(r)}
}

// head holds the drawbar's end against the head that is bolted on: a single bar must be as wide as the head
// takes, each of two must lie under a hole with 1.5 bolts of steel beside it.
func head(r *rig.Rig) finding.Finding {
	f := base(r, CodeHead, "The {coupling} on the {drawbar}")
	f.Source = &practice
	t := r.Trailer.Frame
	path := "/trailers/" + r.Scope.Trailer + "/frame"
	ask := func(field, says string) finding.Finding {
		f.Outcome = finding.Unknown
		f.Subject = path + "/" + field
		f.Says = said.Say("Whether the {coupling} fits the {drawbar} is not known.")
		f.Needs = []finding.Need{{
			Path: f.Subject, Says: said.Say(says), Where: said.Say("Measure the head, or read its leaflet."),
		}}
		return f
	}
	var noses []int
	for _, n := range r.Drawn.Noses {
		if math.Abs(r.Drawn.Bars[n].Axes[0].X) > 0.5 { // what only crosses there bears no head
			noses = append(noses, n)
		}
	}
	switch len(noses) {
	case 0:
		f.Outcome = finding.Fails
		f.Says = said.Say("No bar runs toward the {coupling}, so its head has nothing to bolt to.")
		return f
	case 1:
		if t.HeadTakes == nil {
			return ask("headTakes", "the width of bar that the {coupling} takes")
		}
		b := &r.Drawn.Bars[noses[0]]
		takes := float64(*t.HeadTakes)
		f.Figure, f.Limit = finding.Exactly(
			quantity.KindLength,
			b.Wide,
		), finding.Exactly(
			quantity.KindLength,
			takes,
		)
		name := said.Name(b.Member.Name, "The {drawbar}")
		switch d := takes - b.Wide; {
		case d < -1e-6:
			f.Outcome = finding.Fails
			f.Says = said.Say(
				"% is % wide, and the head takes %. Choose the head for the bar, or the bar for the head.",
				name,
				said.Length(b.Wide),
				said.Length(takes),
			)
		case d > headSlack+1e-6:
			f.Outcome, f.Tight = finding.Tight, finding.LittleRoom
			f.Says = said.Say("The head takes % and % is % wide: % is left to pack with plate on both sides.",
				said.Length(takes), name, said.Length(b.Wide), said.Length(d))
		default:
			f.Says = said.Say("The head takes %, as wide as %.", said.Length(takes), name)
		}
		return f
	}
	if t.HeadHoles == nil {
		return ask("headHoles", "how far apart the {coupling}'s holes are")
	}
	least, by := math.Inf(1), noses[0]
	for _, n := range noses {
		b := &r.Drawn.Bars[n]
		s := headAt
		if b.From.X > b.To.X {
			s = b.Length - headAt
		}
		y := math.Abs(b.At(s).Y)
		if beside := b.Wide/2 - math.Abs(float64(*t.HeadHoles)/2-y) - headBolt/2; beside < least {
			least, by = beside, n
		}
	}
	f.Subject = path + "/members/" + r.Drawn.Bars[by].ID
	f.Figure, f.Limit = finding.Exactly(quantity.KindLength, least), finding.Exactly(quantity.KindLength, headBolt)
	name := said.Name(r.Drawn.Bars[by].Member.Name, "A bar")
	switch {
	case least < 0:
		f.Outcome = finding.Fails
		f.Says = said.Say("The head's holes, % apart, miss %. Move the bars' front ends, or weld on a plate.",
			said.Length(*t.HeadHoles), name)
	case least < headBolt:
		f.Outcome, f.Tight = finding.Tight, finding.LittleRoom
		f.Says = said.Say("Only % of steel is left beside the head's bolts in %; the usual minimum is %.",
			said.Length(least), name, said.Length(headBolt))
	default:
		f.Says = said.Say("The head's holes, % apart, line up with both bars.", said.Length(*t.HeadHoles))
	}
	return f
}

// jockey asks whether the open tailgate reaches the jockey wheel's handle.
func jockey(r *rig.Rig) finding.Finding {
	f := base(r, CodeJockey, "{Jockey wheel} and {car tailgate}")
	f.Source = &practice
	t := r.Trailer.Frame
	path := "/trailers/" + r.Scope.Trailer + "/frame/"
	unknown := func(at, says, where string) finding.Finding {
		f.Outcome, f.Subject = finding.Unknown, at
		f.Says = said.Say("Whether the car's tailgate opens past the {jockey wheel} is not known.")
		f.Needs = []finding.Need{{Path: at, Says: said.Say(says), Where: said.Say(where)}}
		return f
	}
	switch {
	case t.Jockey == nil:
		return unknown(
			path+"jockey",
			"where the {jockey wheel} stands behind the ball",
			"Measure where its clamp will sit.",
		)
	case t.JockeyTop == nil:
		return unknown(
			path+"jockeyTop",
			"how high its handle ends",
			"Measure from the ground as it stands coupled.",
		)
	case r.Vehicle == nil:
		f.Says = said.Say("No car tows on this outing.")
		return f
	case r.Vehicle.GateReach == nil:
		return unknown(r.VehiclePath("gateReach"), "how far the open {car tailgate} reaches beyond the bumper",
			"Hang a plumb line from its outer edge as it opens; if it drops flat, measure it lying flat.")
	}
	behind := bumper
	if b := r.Vehicle.BallBehind; b != nil {
		behind = float64(*b)
	}
	room := float64(*t.Jockey) + behind - float64(*r.Vehicle.GateReach)
	f.Subject = path + "jockey"
	f.Figure, f.Limit = finding.Exactly(quantity.KindLength, room), finding.Exactly(quantity.KindLength, gateClear)
	top := float64(*t.JockeyTop)
	switch {
	case room >= gateClear:
		f.Says = said.Say("% between the open {car tailgate} and the {jockey wheel}.", said.Length(room))
	case top <= gateSweeps:
		f.Says = said.Say(
			"The {jockey wheel}'s handle ends at %, below the path of the {car tailgate}.",
			said.Length(top),
		)
	case r.Vehicle.GateHeight != nil && top < float64(*r.Vehicle.GateHeight):
		f.Outcome, f.Tight = finding.Tight, finding.LittleRoom
		f.Says = said.Say(
			"The open {car tailgate} is above the {jockey wheel}, and swings lower as it opens. Try it with a broomstick % high.",
			said.Length(top),
		)
	default:
		f.Outcome = finding.Fails
		f.Says = said.Say(
			"The {car tailgate} strikes the {jockey wheel}'s handle as it opens. Set it % farther back, or swing it down.",
			said.Length(gateClear-room),
		)
	}
	return f
}
