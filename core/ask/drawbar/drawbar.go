// Package drawbar answers whether the drawbar bears its ball load, and how a longer
// one is joined on. Formulas: docs/method/drawbar.md.
package drawbar

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

// Codes of the findings made here.
const (
	CodeBend   = "drawbar.bend"
	CodeSleeve = "drawbar.sleeve"
	CodeBolts  = "drawbar.bolts"
)

// Figures of practice (confidence C).
const (
	reserve  = 1.5
	slack    = 0.0005 // m that a sleeve needs to slide in
	shimMost = 0.003  // m of shim on each side
	overlaps = 3.0    // of the section's height
	lever    = 0.67   // of the overlap, between the forces that hold the sleeve
	edges    = 2.0    // of a bolt's diameter, hole to the end
)

// Inner is the largest usual tube that slides into another, with the gap that is
// left in height and width, m; ok is false where none does.
func Inner(outer plan.Profile) (in catalogue.Common, high, wide float64, ok bool) {
	h, w := float64(outer.Height-2*outer.Wall)-slack, float64(outer.Width-2*outer.Wall)-slack
	best := 0.0
	for _, c := range catalogue.Commons {
		if c.Shape != "tube" || float64(c.Height) > h+1e-9 || float64(c.Width) > w+1e-9 {
			continue
		}
		s, err := section.Of(
			section.Size{Shape: section.Tube, H: float64(c.Height), B: float64(c.Width), T: float64(c.Wall)},
		)
		if err == nil && s.Wy > best {
			best, in, ok = s.Wy, c, true
			high, wide = h+slack-float64(c.Height), w+slack-float64(c.Width)
		}
	}
	return in, high, wide, ok
}

// Check judges the drawbar of a rig whose section is stated.
func Check(r *rig.Rig) []finding.Finding {
	d := r.Trailer.Drawbar
	if d == nil || d.Profile == (plan.Profile{}) || r.Bears == nil || r.DeckFront == nil || r.Outing == nil {
		return nil
	}
	path := "/trailers/" + r.Scope.Trailer + "/drawbar"
	base := func(code, title string) finding.Finding {
		return finding.Finding{
			Code:    code,
			Stage:   "racks",
			Scope:   r.Scope,
			Gate:    finding.GateCut,
			Subject: path,
			Title:   said.Say(title),
			Outcome: finding.Holds,
			Source: norms.Practice(
				"twice the ball load on the road, three times on a track; reserve 1.5 on yield",
			),
		}
	}
	f := base(CodeBend, "{Drawbar} bending")
	s, err := section.Of(parts.SizeOf(d.Profile))
	if err != nil {
		f.Outcome, f.Says = finding.Fails, said.Say(
			"The {drawbar}'s section makes no sense: "+err.Error()+". Enter its sizes again.",
		)
		return []finding.Finding{f}
	}
	stock, _ := catalogue.StockOf(d.Profile.Material)
	stock = stock.InTheSun()
	k := r.Shock()
	beams := float64(max(1, d.Beams))
	longer, l := float64(d.Longer), r.Axle.Nominal
	ball := math.Max(math.Abs(r.Bears.Ball.Low), r.Bears.Ball.High) * l / (l + longer)
	force := k * ball * quantity.Gravity / beams
	free := r.DeckFront.Nominal + longer
	yield := stock.Yield
	if d.Way == plan.JoinWeld && longer > 0 && stock.Weld > 0 {
		yield *= stock.Weld
	}
	allowed := yield / reserve
	judge := func(f *finding.Finding, stress float64) { f.AtMost(quantity.KindStress, stress, allowed) }
	stress := force * free / s.Wy
	judge(&f, stress)
	f.Says = said.Say(
		"At the deck's front the {drawbar} is loaded to % of what % allows, with % on the ball and a shock factor of %.",
		said.Share(stress/allowed),
		said.Piece{Text: stock.Name},
		said.Mass(ball),
		said.Count(int(k)),
	)
	if f.Outcome == finding.Fails {
		f.Says = append(f.Says, said.Say(" Stiffen it, or make it shorter.")...)
	}
	parts.Unsure(&f, d.Profile)
	f.HasWork, f.Work = true, func() []finding.Step {
		return []finding.Step{
			{
				Symbol:  "σ",
				Says:    said.Say("bending at the deck's front"),
				Formula: "σ = k·R·g·l/(n·W)",
				Result:  f.Figure,
				Source:  f.Source,
				Terms: []finding.StepTerm{
					{
						Symbol:  "R",
						Says:    said.Say("{ball load} at most, R·L/(L + d) where it is longer by d"),
						Measure: finding.Exactly(quantity.KindMass, ball),
						How:     "computed",
					},
					{
						Symbol:  "l",
						Says:    said.Say("free length"),
						Measure: finding.Exactly(quantity.KindLength, free),
						How:     "stated",
					},
					{
						Symbol:  "n",
						Says:    said.Say("beams"),
						Measure: finding.Exactly(quantity.KindCount, beams),
						How:     "stated",
					}},
			},
		}
	}
	out := []finding.Finding{f}
	if longer <= 0 {
		return out
	}
	if d.Way == plan.JoinWeld {
		w := base(CodeSleeve, "Joint")
		w.Compares = true // what the weld takes is for the welder
		w.Figure = finding.Exactly(quantity.KindMass, force*longer/quantity.Gravity)
		w.Says = said.Say(
			"The weld carries % on an arm of %. Have it done by a competent welder; chains, cable and breakaway must be % longer.",
			said.Mass(force*longer/quantity.Gravity),
			said.Length(1.0),
			said.Length(longer),
		)
		return append(out, w)
	}
	sl := base(CodeSleeve, "Sleeve")
	in, high, wide, ok := Inner(d.Profile)
	if !ok || section.Shape(d.Profile.Shape) != section.Tube {
		sl.Outcome, sl.Says = finding.Unknown, said.Say(
			"No usual section slides into this {drawbar}: weld it, or fit a new {drawbar}.",
		)
		sl.Needs = []finding.Need{
			{
				Path:  path + "/profile/height",
				Says:  said.Say("the {drawbar}'s section"),
				Where: said.Say("Measure height, width and wall."),
			},
		}
		return append(out, sl)
	}
	inner, _ := section.Of(
		section.Size{Shape: section.Tube, H: float64(in.Height), B: float64(in.Width), T: float64(in.Wall)},
	)
	need := overlaps * float64(d.Profile.Height)
	overlap := float64(d.Overlap)
	if overlap <= 0 {
		overlap = need
	}
	moment := force * (longer + (1-lever)/2*overlap) // at the bolts nearest to the mouth
	judge(&sl, moment/inner.Wy)
	sl.Says = said.Say(
		"% slides in, with % shims above and below and % at the sides; at the joint it is loaded to %. Overlap it % or more; chains, cable and breakaway must be % longer.",
		said.Piece{
			Text: in.Name,
		},
		said.Length(high/2),
		said.Length(wide/2),
		said.Share(moment/inner.Wy/allowed),
		said.Length(need),
		said.Length(longer),
	)
	if max(high, wide)/2 > shimMost && sl.Outcome == finding.Holds {
		sl.Outcome, sl.Tight = finding.Tight, finding.LittleRoom
		sl.Says = append(sl.Says, said.Say(" It sits loose: shim it well.")...)
	}
	if d.Overlap > 0 && float64(d.Overlap) < need-1e-9 {
		sl.Outcome = finding.Fails
		sl.Says = append(sl.Says, said.Say(" The overlap entered, %, is too short.", said.Length(d.Overlap))...)
	}
	return append(out, sl, bolts(base, d, force, longer, overlap, path))
}

// bolts hold the sleeve by two groups, 0.67 of the overlap o apart about its middle, each
// bolt in two shear planes. The force P at the ball's end, d beyond the mouth, acts on an arm
// of d + o/2 about their middle, and half of it on either group besides:
//
//	F = P·((d + o/2)/(0.67·o) + 1/2) on the group nearer the mouth
func bolts(
	base func(string, string) finding.Finding,
	d *plan.Drawbar,
	end, longer, overlap float64,
	path string,
) finding.Finding {
	f := base(CodeBolts, "Sleeve's bolts")
	f.Source = &norms.BoltSource
	if d.Bolts == 0 || d.Bolt <= 0 {
		f.Outcome, f.Says = finding.Unknown, said.Say(
			"Bolts through the sleeve: enter how many, how thick and which grade.",
		)
		if d.Bolts == 0 {
			f.Needs = []finding.Need{
				{
					Path:  path + "/bolts",
					Says:  said.Say("how many bolts the sleeve has"),
					Where: said.Say("Two at each end is usual."),
				},
			}
		}
		if d.Bolt <= 0 {
			f.Needs = append(
				f.Needs,
				finding.Need{Path: path + "/bolt", Says: said.Say("how thick the sleeve's bolts are"),
					Where: said.Say("Measure across the thread; the grade is on the head.")},
			)
		}
		return f
	}
	grade, known := norms.BoltOf(d.Grade)
	each := math.Max(1, math.Floor(float64(d.Bolts)/2))
	force := end * ((longer+overlap/2)/(lever*overlap) + 0.5) / each
	limit := 2 * grade.ShearOf(float64(d.Bolt))
	f.AtMost(quantity.KindForce, force, limit)
	f.Says = said.Say(
		"% bolts of %, grade %: each carries % of %. Drill the holes % from the ends or more.",
		said.Count(d.Bolts),
		said.Length(d.Bolt),
		said.Piece{Text: grade.Name},
		said.Of(quantity.KindForce, force),
		said.Of(quantity.KindForce, limit),
		said.Length(edges*float64(d.Bolt)),
	)
	switch {
	case d.Bolts < 2:
		f.Outcome, f.Tight = finding.Fails, ""
		f.Says = append(f.Says, said.Say(" One bolt is a hinge: use at least two.")...)
	case !known && f.Outcome != finding.Fails:
		f.Outcome, f.Tight = finding.Tight, finding.GuessTooRough
		f.Says = append(f.Says, said.Say(" Their grade is not entered; the weakest is assumed.")...)
	}
	return f
}
