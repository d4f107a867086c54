package rack

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

// Codes of the findings on sliding a hull on.
const (
	CodeSlide = "rack.slide"
	CodeUnder = "rack.under"
)

// Figures of practice (confidence C).
const (
	pushEasy  = 25.0 // kg that one pushes
	beside    = 0.02 // m between a bar and what stands out under a hull
	rollShare = 0.5  // of the hull that lies on the rear bar while it slides
)

// rubs is the friction of a hull on what it lies on.
var rubs = map[plan.Pads]float64{
	"":               0.5,
	plan.PadsBare:    0.5,
	plan.PadsCarpet:  0.35,
	plan.PadsPlastic: 0.2,
	plan.PadsRoller:  0.05,
}

// Push is what sliding a hull of m kg on takes at its end, when all of it lies on the bars, kg: its friction
// and the slope, m·(μ·cos θ + sin θ). A roller at the rear bar takes its half, the front bar rubs as carpet.
func Push(mass, slope float64, pads plan.Pads) float64 {
	mu := rubs[pads]
	if pads == plan.PadsRoller {
		mu = rollShare*rubs[plan.PadsRoller] + (1-rollShare)*rubs[plan.PadsCarpet]
	}
	return mass * (mu*math.Cos(slope) + math.Sin(slope))
}

// slide tells how one person gets the heaviest hull on from behind: the bow's half onto the rear bar, then
// a push. It is stated where pads or things under hulls are.
func slide(
	base func(string, string) finding.Finding,
	r *rig.Rig,
	rk *plan.Rack,
	hulls []Hull,
) (f finding.Finding, ok bool) {
	if rk.Pads == "" {
		return f, false
	}
	h := &hulls[0]
	for i := range hulls {
		if hulls[i].Mass > h.Mass {
			h = &hulls[i]
		}
	}
	slope := 0.0
	if r.Outing != nil && r.Outing.Ground != nil {
		g := r.Outing.Ground
		slope = g.Slope
	}
	f = base(CodeSlide, "Sliding a hull on alone")
	f.Gate, f.Source = "", norms.Practice("friction of hulls on pads; one person pushes 25 kg")
	lift := h.Mass / 2
	f.AtMost(quantity.KindMass, Push(h.Mass, slope, rk.Pads), pushEasy)
	if f.Outcome == finding.Fails { // somebody helps
		f.Outcome, f.Tight = finding.Tight, finding.LittleRoom
	}
	f.Says = said.Say(
		"%: lift the bow, %, onto the rear bar first, then push from behind with %.",
		said.Name(h.Item.Name, "The hull"),
		said.Mass(lift),
		said.Mass(Push(h.Mass, slope, rk.Pads)),
	)
	if f.Outcome == finding.Tight {
		f.Says = append(
			f.Says,
			said.Say(" Heavy for one: fit a roller at the rear bar or plastic on the pads, or do it with two.")...)
	}
	f.Says = append(f.Says, said.Say(" In wind, fit guides at both sides of the rear bar.")...)
	return f, true
}

// under holds what stands out under each hull against the bars that it lies on, and those that it came over.
func under(base func(string, string) finding.Finding, it *rig.Item, rk *plan.Rack, hulls []Hull) []finding.Finding {
	var out []finding.Finding
	frames := parts.FramesAt(rk)
	for i := range hulls {
		h := &hulls[i]
		if h.Item.Load == nil || h.Item.Load.Hull == nil {
			continue
		}
		bow := h.Item.Front - it.Front
		things := h.Item.Load.Hull.Under
		for _, id := range plan.Ordered(things, func(u plan.Under) int { return u.Order }) {
			u := things[id]
			f := base(CodeUnder, "Under the hull")
			f.Subject, f.Gate = h.Item.Path+"/hull/under/"+id, ""
			from, to := bow+float64(u.At)-beside, bow+float64(u.At+u.Length)+beside
			on, passed := -1, 0
			for k, x := range frames {
				switch {
				case x >= from && x <= to:
					on = k
				case x > to: // it came over this one, pushed on from behind
					passed++
				}
			}
			name := said.Name(u.Name, "What sticks out")
			switch {
			case on >= 0:
				f.Outcome = finding.Fails
				d := min(frames[on]-from, to-frames[on])
				f.Says = said.Say(
					"% of % lies on a bar: shift the hull or the bar by %, or notch the pad % deep.",
					name,
					said.Name(h.Item.Name, "the hull"),
					said.Length(math.Ceil(d*100)/100),
					said.Length(u.Deep),
				)
			case passed > 0:
				f.Outcome, f.Tight = finding.Tight, finding.LittleRoom
				f.Says = said.Say(
					"% of % passes over % on its way: lift it over there, % high.",
					name,
					said.Name(h.Item.Name, "the hull"),
					said.Counted(passed, "bar", "bars"),
					said.Length(u.Deep),
				)
			default:
				f.Says = said.Say("% of % stays clear of the bars.", name, said.Name(h.Item.Name, "the hull"))
			}
			out = append(out, f)
		}
	}
	return out
}
