package ramp

import (
	"math"

	"zygonos/core/facts/norms"
	"zygonos/core/lang/finding"
	"zygonos/core/lang/quantity"
	"zygonos/core/lang/said"
	"zygonos/core/parts"
	"zygonos/core/sums/section"
)

// fleetMost is how far aside a line may run onto its drum before it climbs over itself,
// and a strap creeps to one side, rad (C).
const fleetMost = 2 * math.Pi / 180

// Fleet is how far a line runs aside of square to its drum, rad: atan(a/l).
func Fleet(aside, length float64) float64 { return math.Atan2(math.Abs(aside), length) }

// mount judges how the winch stands: the line's lead, bolts of its post, pin of its
// receiver, under what its line pulls it with.
func (s *Setup) mount(pull float64) []finding.Finding {
	w := s.Loading.Winch
	var out []finding.Finding
	if w.Aside != 0 {
		f := s.base(CodeFleet, "Line onto the drum")
		f.Source = norms.Practice("2° beside square at the shortest")
		// Worst where the line is shortest: when the machine is home.
		body := s.riding()
		q := body.Stand(s.Path, s.Home, 0)
		hook := s.Hook(q)
		angle := Fleet(float64(w.Aside), math.Hypot(s.Winch.U-hook.U, s.Winch.Z-hook.Z))
		f.Figure, f.Limit = finding.Exactly(
			quantity.KindAngle,
			angle,
		), finding.Exactly(
			quantity.KindAngle,
			fleetMost,
		)
		f.Says = said.Say("At the end the line runs onto the drum % off square.", said.Of(quantity.KindAngle, angle))
		if angle > fleetMost {
			f.Outcome, f.Tight = finding.Tight, finding.LittleRoom
			f.Says = append(f.Says, said.Say(" It piles up on one side: put the drum in the middle, or fit a guide.")...)
		}
		out = append(out, f)
	}
	grade, known := norms.BoltOf(w.Grade)
	bolt := func(code, title string, on, limit float64, says string) {
		f := s.base(code, title)
		f.Source = &norms.BoltSource
		margin := (limit - on) / limit
		f.Figure, f.Limit, f.Margin = finding.Exactly(
			quantity.KindForce,
			on,
		), finding.Exactly(
			quantity.KindForce,
			limit,
		), &margin
		f.Says = said.Say(says, said.Of(quantity.KindForce, on), said.Of(quantity.KindForce, limit))
		switch {
		case on > limit:
			f.Outcome = finding.Fails
		case !known:
			f.Outcome, f.Tight = finding.Tight, finding.GuessTooRough
			f.Says = append(f.Says, said.Say(" Their grade is not entered; the weakest is assumed.")...)
		}
		out = append(out, f)
	}
	if w.Bolts >= 2 && w.Bolt > 0 && w.Gauge > 0 {
		// A brace at 45° stands as far before the foot as it meets the post high: the foot is
		// drawn or pushed by P·h/b, on all its bolts.
		moment := pull * quantity.Gravity * math.Max(0, float64(w.Up))
		each := moment / (math.Floor(float64(w.Bolts)/2) * float64(w.Gauge))
		along := pull * quantity.Gravity / float64(w.Bolts) // what pushes the foot aside, on each
		if w.Brace > 0 {
			each = moment / float64(w.Brace) / float64(w.Bolts)
			along *= math.Abs(1 - math.Max(0, float64(w.Up))/float64(w.Brace))
		}
		// Shear and tension together, V/V_R + T/(1.4·T_R) ≤ 1 and T ≤ T_R (EN 1993-1-8, table 3.4), stated as a pull.
		tension, shear := grade.TensionOf(float64(w.Bolt)), grade.ShearOf(float64(w.Bolt))
		each = math.Max(each, each/1.4+along*tension/shear)
		bolt(
			CodePostBolts,
			"Winch post's bolts",
			each,
			grade.TensionOf(float64(w.Bolt)),
			"Each bolt at the post's foot is pulled with % of %.",
		)
	}
	if w.Pin > 0 {
		bolt(
			CodePin,
			"Receiver's pin",
			pull*quantity.Gravity,
			2*grade.ShearOf(float64(w.Pin)),
			"The pin is sheared in two planes: % of %. Wedge it against rattling; leave room for your hand at the jack.",
		)
	}
	return out
}

// post is the winch post bent at its foot by height × pull, both of the line's ends
// with a block.
func (s *Setup) post(pull float64) finding.Finding {
	w := s.Loading.Winch
	f := s.base(CodePost, "Winch post")
	f.Source = norms.Practice("reserve 1.5 on yield; a brace holds the post where it meets it")
	size, stock := parts.SizeOf(*w.Post), stockOf(*w.Post)
	p, err := section.Of(size)
	if err != nil {
		f.Outcome, f.Says = finding.Fails, said.Say("The post's section makes no sense: "+err.Error()+".")
		return f
	}
	up, brace := math.Max(0, float64(w.Up)), float64(w.Brace)
	arm := up - brace // above the brace, or above the deck
	if up < brace {   // held at foot and brace, drawn between them
		arm = up * (brace - up) / brace
	}
	moment := pull * quantity.Gravity * arm
	stress, allowed := moment/p.Wy, stock.Yield/1.5
	margin := (allowed - stress) / allowed
	f.Figure, f.Limit, f.Margin = finding.Exactly(
		quantity.KindStress,
		stress,
	), finding.Exactly(
		quantity.KindStress,
		allowed,
	), &margin
	at := "foot"
	if w.Brace > 0 {
		at = "middle, at the brace,"
	}
	f.Says = said.Say(
		"The post's "+at+" is loaded to %: % on an arm of %.",
		said.Share(stress/allowed),
		said.Mass(pull),
		said.Length(arm),
	)
	if stress > allowed {
		f.Outcome = finding.Fails
		f.Says = append(f.Says, said.Say(" Make it lower or stronger, or brace it.")...)
	}
	parts.Unsure(&f, *w.Post)
	return f
}
