// Package tank answers whether the stand under a tank bears it full: standing, on bumps, under braking and in bends. Formulas:
// docs/method/tank.md.
package tank

import (
	"math"

	"zygonos/core/facts/catalogue"
	"zygonos/core/facts/norms"
	"zygonos/core/lang/finding"
	"zygonos/core/lang/quantity"
	"zygonos/core/lang/said"
	"zygonos/core/parts"
	"zygonos/core/plan"
	"zygonos/core/rig"
	"zygonos/core/sums/section"
)

// Stage under which the findings stand.
const Stage = "body"

// CodeStand is the code of the finding on a tank's stand.
const CodeStand = "tank.stand"

// Figures of the load cases: braking by the restraint guides (B), the rest practice (C).
const (
	brakes = 0.8 // g
	onLeg  = 2.0 // times its share that the worst leg bears at least
	onPair = 0.5 // of all that a leg bears where it leans on its front pair, however many stand behind
	little = 0.05
)

// Check judges the stands of the outing's tanks, always full.
func Check(r *rig.Rig) (out []finding.Finding) {
	for i := range r.Items {
		it := &r.Items[i]
		if it.Load == nil || it.Load.Tank == nil || it.Load.Tank.Legs < 1 {
			continue
		}
		out = append(out, stand(r, it, it.Load.Tank))
	}
	return out
}

// stand holds a leg's stress against what its material is used to. Without braces n legs sway as cantilevers from a stiff
// top or foot; braced they bear along alone:
//
//	M = 0.8·m·g·h/n,  N = m·g·k·max(2/n, ½),  σ = N/A + M/W/(1 − N/N_cr),
//	N_cr = π²·E·I/(2h)², braced π²·E·I/h²
//
// k the factor of bumps.
func stand(r *rig.Rig, it *rig.Item, t *plan.Tank) finding.Finding {
	f := finding.Finding{
		Code: CodeStand, Stage: Stage, Scope: r.Scope, Gate: finding.GateGo, Subject: it.Path + "/tank/legs",
		Title: said.Say("The stand of %", said.Name(it.Name, "the tank")), Outcome: finding.Holds,
		Source: norms.Practice("legs under 0.8 g and bumps, the tank full"),
	}
	unknown := func(path, says, where string) finding.Finding {
		f.Outcome, f.Says = finding.Unknown, said.Say("Not known: "+says+".")
		f.Needs = []finding.Need{{Path: path, Says: said.Say(says), Where: said.Say(where)}}
		return f
	}
	high := it.Bottom - r.DeckHeight()
	stock, known := catalogue.StockOf(t.Leg.Material)
	s, err := section.Of(parts.SizeOf(t.Leg))
	switch {
	case t.Leg.Shape == "" || err != nil || !known:
		return unknown(it.Path+"/tank/leg", "what a leg is made of", "Its section with a caliper.")
	case high < little:
		return unknown(
			r.LayoutPath("/placements/"+it.ID+"/at/up"),
			"how high it stands above the deck",
			"From the deck to the tank's underside.",
		)
	case it.Lot == nil || it.Lot.Contents == nil || it.Lot.Mass == nil:
		return unknown(
			it.Path+"/tank/capacity",
			"what the full tank weighs",
			"Its volume is moulded into its wall.",
		)
	}
	stock = stock.InTheSun()
	kg := it.Lot.Contents.Full.High + it.Lot.Mass.High
	n := float64(t.Legs)
	w, i := math.Min(s.Wy, s.Wz), math.Min(s.Iy, s.Iz)
	along := kg * quantity.Gravity * r.Shock() * max(onLeg/n, onPair)
	buckling, moment := 2*high, brakes*kg*quantity.Gravity*high/n
	if t.LegsBraced {
		buckling, moment = high, 0
	}
	critical := math.Pi * math.Pi * stock.Modulus * i / (buckling * buckling)
	says := said.Say("Full, % on % legs of %", said.Mass(kg), said.Count(t.Legs), said.Length(high))
	if along >= critical || t.Legs < 3 && !t.LegsBraced {
		f.Outcome = finding.Fails
		f.Says = append(says, said.Say(" falls over. Give it four legs, braced both ways.")...)
		return f
	}
	sigma := along/s.Area + moment/w/(1-along/critical)
	f.AtMost(quantity.KindStress, sigma, stock.Working())
	f.Says = append(says, said.Say(": under full braking a leg carries %, of the % it may carry.",
		said.Of(quantity.KindStress, sigma), said.Of(quantity.KindStress, stock.Working()))...)
	switch {
	case f.Outcome == finding.Fails && !t.LegsBraced:
		f.Says = append(f.Says, said.Say(" Brace it both ways, or stand it lower.")...)
	case f.Outcome == finding.Fails:
		f.Says = append(f.Says, said.Say(" Use stronger legs, or more of them.")...)
	default:
		f.Says = append(
			f.Says,
			said.Say(" Straps hold the tank to the stand, and the stand to the frame, not to the floor.")...)
	}
	return f
}
