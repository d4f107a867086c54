package tip

import (
	"math"
	"slices"

	"zygonos/core/facts/norms"
	"zygonos/core/goods"
	"zygonos/core/lang/finding"
	"zygonos/core/lang/quantity"
	"zygonos/core/lang/said"
	"zygonos/core/plan"
	"zygonos/core/sums/earth"
)

// turnsLeft stay on a drum at least (practice, B).
const turnsLeft = 3

// reach asks whether the line is long enough with the bed down, or wherever its way is longest: each part of the tackle
// spans it; from a fixed mast's top the line goes down to its foot, where the winch is taken to be; turns stay on the drum.
func (s *Setup) reach() (finding.Finding, bool) {
	f := s.base(CodeReach, "The line's length", "lineLong")
	if !s.winds() || s.t.LineLong == nil {
		return f, false
	}
	most := 0.0
	for i := range s.Swept {
		most = math.Max(most, s.Swept[i].Long)
	}
	wants := most * float64(max(1, s.t.Parts))
	where := "where it is placed"
	if s.t.By == plan.TipByMast {
		where = "at the mast’s foot"
		top, foot := vec(s.t.Top), vec(s.t.Foot)
		wants += math.Hypot(top.X-foot.X, top.Z-foot.Z)
	}
	drum := 0.08 // m, where it is not stated
	if s.t.DrumAcross != nil {
		drum = float64(*s.t.DrumAcross)
	}
	wants += turnsLeft * math.Pi * drum
	f.AtMost(quantity.KindLength, wants, float64(*s.t.LineLong))
	f.Says = said.Say(
		"With the bed down the line needs %, with the winch "+where+" and three turns on its drum; it is % long.",
		said.Length(wants),
		said.Length(*s.t.LineLong),
	)
	if f.Outcome == finding.Fails {
		f.Says = append(f.Says, said.Say(" Use a longer line, or one part less in the tackle.")...)
	}
	return f, true
}

// atHand is the weakest of the winches at hand that does it: rated for lifting, holding by itself, on its last layer.
func (s *Setup) atHand() (finding.Finding, bool) {
	f := s.base(CodeAtHand, "Which of your winches", "atHand")
	f.Gate = ""
	if !s.winds() || len(s.t.AtHand) == 0 {
		return f, false
	}
	n, _ := s.most()
	drum := s.onDrum(n)
	id, unsure := s.Weakest()
	f.Figure = finding.Exactly(quantity.KindMass, drum)
	switch {
	case id != "":
		w := s.t.AtHand[id]
		f.Limit = finding.Exactly(quantity.KindMass, float64(*w.Lifts)*s.Keeps())
		f.Says = said.Say("The weakest winch you have that does it is %: % on the drum, of % on its last layer.",
			said.Name(w.Name, "a winch"), said.Mass(drum), said.Mass(float64(*w.Lifts)*s.Keeps()))
	case unsure:
		f.Outcome = finding.Unknown
		f.Says = said.Say(
			"One of those you have may do it: enter what it lifts, whether it is for lifting, and whether it holds by itself.",
		)
		f.Needs = []finding.Need{{
			Path: "/trailers/" + s.r.Scope.Trailer + "/tipping/atHand", Says: said.Say("what the winches you have are rated for"),
			Where: said.Say("On their plates."),
		}}
		if _, untold := s.fuller(); len(untold) > 0 {
			f.Says = slices.Concat(f.Says, said.Say(" Enter "), finding.Takes(untold), said.Say("."))
			f.Needs = append(f.Needs, untold...)
		}
	default:
		f.Outcome, f.Tight = finding.Tight, finding.LittleRoom
		f.Says = said.Say(
			"None of those you have lifts % on its last layer, is rated for lifting and holds by itself. Use one part more in the tackle, or a stronger winch.",
			said.Mass(drum),
		)
	}
	return f, true
}

// Weakest is the weakest winch at hand that does it; unsure where none plainly does, but of one too little is known.
func (s *Setup) Weakest() (id string, unsure bool) {
	n, _ := s.most()
	drum := s.onDrum(n)
	best := math.Inf(1)
	for _, k := range plan.Ordered(s.t.AtHand, func(w plan.TipWinch) int { return w.Order }) {
		w := s.t.AtHand[k]
		no := func(b *bool) bool { return b != nil && !*b }
		if no(w.Lifting) || no(w.Brake) || w.Lifts != nil && float64(*w.Lifts)*s.layer() < drum {
			continue
		}
		if w.Lifts == nil || w.Lifting == nil || w.Brake == nil || float64(*w.Lifts)*s.Keeps() < drum {
			unsure = true
			continue
		}
		if lifts := float64(*w.Lifts); lifts < best {
			best, id = lifts, k
		}
	}
	return id, unsure && id == ""
}

// spread asks what holds the sides together at the tail while loose material presses on them: with the tailgate hung at
// its bottom, or taken off, their rear ends stand free. The push on the last metre is that of what lies against it,
// F = K₀·g·(m/A)·h/2, m/A the load on the floor.
func (s *Setup) spread() (finding.Finding, bool) {
	f := s.base(CodeSpread, "Sides that spread", "sidesTied")
	f.Gate = ""
	h := s.r.Trailer.SideHeight
	if h == nil || !(*h > 0) {
		return f, false
	}
	mass, k := 0.0, 0.0
	for _, i := range s.loads {
		it := &s.r.Items[i]
		if it.Load == nil || it.Load.Bulk == nil || it.Mass == nil {
			continue
		}
		stuff, _ := goods.StuffOf(s.r.Plan, it.Load.Bulk)
		mass += it.Mass.High
		k = math.Max(k, earth.AtRest(radians(stuff.ReposeLow)))
	}
	from := 0.0
	if s.t.From != nil {
		from = float64(*s.t.From)
	}
	area := (s.r.DeckLength() - from) * s.r.DeckWidth()
	if !(mass > 0) || !(area > 0) {
		return f, false
	}
	push := k * quantity.Gravity * mass / area * float64(*h) / 2
	f.Source = norms.Practice("earth pressure at rest on the sides' last metre")
	f.Figure = finding.Exactly(quantity.KindMass, push/quantity.Gravity)
	kg := said.Mass(push / quantity.Gravity)
	switch {
	case s.t.SidesTied:
		f.Says = said.Say("The sides are tied over the tail; % pushes on the last metre of each.", kg)
	case s.t.GateHung == plan.GateTop:
		f.Says = said.Say("The tailgate's upper pins tie the sides; % pushes on the last metre of each.", kg)
	case s.t.GateHung == "":
		return need(f, "/trailers/"+s.r.Scope.Trailer+"/tipping/gateHung", "how the tailgate is hung while it tips",
			"At its top, at its bottom, or off."), true
	case push <= spreadsLittle:
		f.Says = said.Say(
			"The rear ends of the sides stand free; % pushes on the last metre of each, and stakes take that.",
			kg,
		)
	default:
		f.Outcome, f.Tight = finding.Tight, finding.LittleRoom
		f.Says = said.Say(
			"With the tailgate down or off, the rear ends of the sides stand free and % pushes on the last metre of each: they spread, and the gate does not close again. Put a bar or a chain across the tail.",
			kg,
		)
	}
	return f, true
}

// spreadsLittle is what a side's rear end bears without a tie, N on its last metre (practice, C).
const spreadsLittle = 200.0
