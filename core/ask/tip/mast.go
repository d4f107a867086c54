package tip

import (
	"math"

	"zygonos/core/facts/catalogue"
	"zygonos/core/lang/finding"
	"zygonos/core/lang/quantity"
	"zygonos/core/lang/said"
	"zygonos/core/parts"
	"zygonos/core/plan"
	"zygonos/core/sums/section"
	"zygonos/core/sums/tipping"
)

// mast says what a fixed mast bears at its top and as a moment at its foot, where it is greatest: the line to the bed, and
// the drum's part of it down along the mast. Where its section is stated its own strength is judged.
func (s *Setup) mast() (finding.Finding, bool) {
	f := s.base(CodeMast, "What the mast bears", "foot")
	f.Gate = finding.GateCut
	if s.t.By != plan.TipByMast || s.t.Foot == s.t.Top {
		return f, false
	}
	top, foot := vec(s.t.Top), vec(s.t.Foot)
	long := math.Hypot(top.X-foot.X, top.Z-foot.Z)
	worst, along := 0.0, 0.0
	for i := range s.Swept {
		h := &s.Swept[i]
		// across the mast by its lever, and along it with the line that comes down
		moment, push := s.onMast(h, foot, top)
		if moment > worst {
			worst, along = moment, push
		}
	}
	if at, through := s.through(); through && !s.t.Beside {
		f.Outcome, f.Tight, f.Gate = finding.Tight, finding.LittleRoom, finding.GateCut
		f.Figure = finding.Exactly(quantity.KindAngle, at)
		f.Says = said.Say(
			"At % the bed comes up into the mast. Use two posts beside the bed, joined above it, or a mast that leans farther forward.",
			said.Of(quantity.KindAngle, at),
		)
		return f, true
	}
	if s.t.MastOf.Shape != "" {
		return s.post(f, long), true
	}
	f = need(f, "/trailers/"+s.r.Scope.Trailer+"/tipping/mastOf", "the mast's section and material",
		"Its height, width and wall, with a caliper.")
	f.Figure = finding.Exactly(quantity.KindMass, worst/tipping.Gravity)
	f.Says = said.Say(
		"Whether the mast holds is not known: where it bends most its foot takes a moment like % at one metre, "+
			"and % along it. Enter its section.",
		said.Mass(worst/tipping.Gravity),
		said.Mass(math.Max(0, along)/tipping.Gravity),
	)
	return f, true
}

// onMast is the moment at a fixed mast's foot, N·m, and what presses along it, N, as the bed is held.
func (s *Setup) onMast(h *tipping.Force, foot, top tipping.Vec) (moment, along float64) {
	long := math.Hypot(top.X-foot.X, top.Z-foot.Z)
	moment = math.Abs((top.X-foot.X)*h.Foot.Z - (top.Z-foot.Z)*h.Foot.X)
	along = -(h.Foot.X*(top.X-foot.X)+h.Foot.Z*(top.Z-foot.Z))/long + h.Pull/s.tackle()
	return moment, math.Max(0, along)
}

// post judges a mast clamped at its foot, free at its top, of its weaker axis:
//
//	σ = N/A + M/W/(1 − N/N_cr),  N_cr = π²·E·I/(2h)²
func (s *Setup) post(f finding.Finding, long float64) finding.Finding {
	stock, known := catalogue.StockOf(s.t.MastOf.Material)
	sec, err := section.Of(parts.SizeOf(s.t.MastOf))
	if !known || err != nil {
		return need(f, "/trailers/"+s.r.Scope.Trailer+"/tipping/mastOf", "the mast's section and material",
			"Its height, width and wall, with a caliper.")
	}
	stock = stock.InTheSun()
	posts := 1.0
	if s.t.Beside {
		posts = 2
	}
	foot, top := vec(s.t.Foot), vec(s.t.Top)
	w, i := math.Min(sec.Wy, sec.Wz), math.Min(sec.Iy, sec.Iz)
	critical := math.Pi * math.Pi * stock.Modulus * i / (4 * long * long)
	worst := 0.0
	for k := range s.Swept {
		moment, along := s.onMast(&s.Swept[k], foot, top)
		moment, along = moment/posts, along/posts
		if along >= critical {
			worst = math.Inf(1)
			break
		}
		worst = math.Max(worst, along/sec.Area+moment/w/(1-along/critical))
	}
	if math.IsInf(worst, 1) {
		f.Outcome = finding.Fails
		f.Says = said.Say("The mast is so slender that it buckles under the line. Use a larger section, or a stay.")
		return f
	}
	f.AtMost(quantity.KindStress, worst, stock.Working())
	f.Says = said.Say(
		"The mast carries % at its foot, of the % its material may carry; its weld or socket takes as much.",
		said.Of(quantity.KindStress, worst),
		said.Of(quantity.KindStress, stock.Working()),
	)
	if f.Outcome == finding.Fails {
		f.Says = append(f.Says, said.Say(" Use a larger section, two posts, or a stay to the front.")...)
	}
	return s.sure(f, worst)
}

// through is the first angle at which the bed's floor, from its front edge to over the hinge, crosses a fixed mast.
func (s *Setup) through() (angle float64, is bool) {
	from := 0.0
	if s.t.From != nil {
		from = float64(*s.t.From)
	}
	foot, top, hinge := vec(s.t.Foot), vec(s.t.Top), s.gear.Hinge
	side := func(a, b, p tipping.Vec) float64 { return (b.X-a.X)*(p.Z-a.Z) - (b.Z-a.Z)*(p.X-a.X) }
	front, over := tipping.Vec{X: from - hinge.X, Z: -hinge.Z}, tipping.Vec{Z: -hinge.Z}
	for i := range s.Swept {
		turned := func(r tipping.Vec) tipping.Vec {
			v := tipping.Turned(r, s.Swept[i].Angle)
			return tipping.Vec{X: hinge.X + v.X, Z: hinge.Z + v.Z}
		}
		a, b := turned(front), turned(over)
		if side(a, b, foot)*side(a, b, top) < 0 && side(foot, top, a)*side(foot, top, b) < 0 {
			return s.Swept[i].Angle, true
		}
	}
	return 0, false
}
