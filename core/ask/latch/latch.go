// Package latch answers whether what hinges, telescopes, folds or hangs stays as it is on the
// road: gates, folding decks, stowed ramps, spare wheels. Formulas: docs/method/latch.md.
package latch

import (
	"math"

	"zygonos/core/facts/catalogue"
	"zygonos/core/facts/norms"
	"zygonos/core/lang/finding"
	"zygonos/core/lang/quantity"
	"zygonos/core/lang/said"
	"zygonos/core/plan"
	"zygonos/core/rig"
)

// Stage under which the findings stand.
const Stage = "trailer"

// Codes of the findings made here.
const (
	CodeHolds  = "latch.holds"
	CodeSecond = "latch.second"
	CodeSway   = "latch.sway"
)

// Figures of practice (confidence C).
const (
	rearward   = 0.5  // g
	forward    = 0.8  // g
	sideways   = 0.5  // g
	liftRoad   = 0.2  // g that is left upward after its weight …
	upright    = 0.45 // centre of its height, where not stated
	drag       = 1.1  // of a flat plate
	air        = 1.25 // kg/m³
	usualSpeed = 25.0 // m/s, where the outing tells none
	crossWind  = 20.0 // m/s, from the side
	swayMost   = 0.03 // m at the top
	working    = 2.0  // a pin's resistance over what it is used to
)

// Check judges every part that is on and is stated to be latched, or is of a kind that must be.
func Check(r *rig.Rig) []finding.Finding {
	var out []finding.Finding
	for i := range r.Items {
		it := &r.Items[i]
		if !it.Part {
			continue
		}
		part := r.Plan.Parts[it.ID]
		kind, hinged := catalogue.HingedOf(part.Kind)
		if part.Ramp != nil && !hinged { // stowed for the road
			kind, hinged = catalogue.HingedOf("ramps")
		}
		if part.Latch == nil && !(hinged && kind.Danger) {
			continue
		}
		c := check{
			r:      r,
			it:     it,
			part:   &part,
			l:      part.Latch,
			danger: hinged && kind.Danger,
			opens:  plan.Opens(kind.Opens),
		}
		if c.l == nil {
			c.l = &plan.Latch{}
		}
		if c.l.Opens != "" {
			c.opens = c.l.Opens
		}
		out = append(out, c.holds())
		if c.danger && part.Latch != nil && !c.l.Second {
			out = append(out, c.second())
		}
		if c.l.Play != nil && c.l.Socket != nil {
			out = append(out, c.sway())
		}
	}
	return out
}

type check struct {
	r      *rig.Rig
	it     *rig.Item
	part   *plan.Part
	l      *plan.Latch
	opens  plan.Opens
	danger bool
}

func (c *check) base(code, title string) finding.Finding {
	return finding.Finding{
		Code: code, Stage: Stage, Scope: c.r.Scope, Gate: finding.GateGo, Subject: c.it.Path,
		Title: said.Say("%: "+title, c.name()), Outcome: finding.Holds,
		Source: norms.Practice("0.8 g forward, 0.5 g rearward and sideways, bounce, wind on its face"),
	}
}

func (c *check) name() said.Piece { return said.Name(c.part.Name, "a part") }

func (c *check) need(field, says, where string) finding.Need {
	return finding.Need{Path: c.it.Path + "/latch/" + field, Says: said.Say(says, c.name()), Where: said.Say(where)}
}

// Pull is what tries to open a part, kg: its inertia, and the wind on its face.
type Pull struct {
	Inertia, Wind float64
	Lever         float64 // of the centre over that of the latch
	G             float64 // that its inertia counts
}

// All is what the latches bear together, kg.
func (p *Pull) All() float64 { return p.Inertia + p.Wind }

// sizes are those that the wind and the lever take and nobody stated.
func (c *check) sizes() []finding.Need {
	var out []finding.Need
	if c.opens == plan.OpensPull {
		if c.r.Bears == nil {
			out = append(out, c.r.Needs...)
		}
		return out
	}
	size := c.part.Size
	add := func(missing bool, field, says string) {
		if missing && c.part.Rack == nil {
			out = append(out, finding.Need{
				Path: c.it.Path + "/size/" + field, Says: said.Say(says, c.name()), Where: said.Say("Tape it, shut as on the road."),
			})
		}
	}
	if c.opens != plan.OpensDown && c.opens != plan.OpensUp {
		add(size.Height == nil, "height", "the height of %")
	}
	add(size.Width == nil && (c.opens == plan.OpensRear || c.opens == plan.OpensUp), "width", "the width of %")
	add(size.Length == nil && (c.opens == plan.OpensSide || c.opens == plan.OpensUp), "length", "the length of %")
	return out
}

// pull is what acts on the part: for one that swings about its foot
// F = (m·a·h_c + ½ρv²·C·A/g·h/2)/l; one that lifts m·max(0.2, k − 2) and the wind on its top; one
// that hangs m·k.
func (c *check) pull() (p Pull, ok bool) {
	if c.opens == plan.OpensPull {
		return c.slides()
	}
	if c.it.Mass == nil {
		return p, false
	}
	m := c.it.Mass.High
	if len(c.sizes()) > 0 {
		return p, false
	}
	high := c.it.Top - c.it.Bottom
	wide, long := c.it.Right-c.it.Left, c.it.Length()
	speed := usualSpeed
	if c.r.Outing != nil && c.r.Outing.Speed != nil {
		speed = float64(*c.r.Outing.Speed)
	}
	blows := func(v, area float64) float64 { return air / 2 * v * v * drag * area / quantity.Gravity }
	centre := upright * high
	if u := c.part.Centre.Up; u != nil {
		centre = float64(u.Value)
	}
	at := high
	if c.l.Up != nil {
		at = float64(*c.l.Up)
	}
	if at <= 0 && c.opens != plan.OpensUp && c.opens != plan.OpensDown {
		return p, false
	}
	swings := func(g, wind float64) Pull {
		return Pull{Inertia: m * g * centre / at, Wind: wind * high / 2 / at, Lever: centre / at, G: g}
	}
	switch c.opens {
	case plan.OpensFront:
		return swings(forward, 0), true // the wind presses it shut
	case plan.OpensSide:
		return swings(sideways, blows(crossWind, long*high)), true
	case plan.OpensUp:
		g := max(liftRoad, c.r.Shock()-2)
		return Pull{Inertia: m * g, Wind: blows(speed, wide*long) / drag, Lever: 1, G: g}, true
	case plan.OpensDown:
		return Pull{Inertia: m * c.r.Shock(), Lever: 1, G: c.r.Shock()}, true
	}
	return swings(rearward, blows(speed, wide*high)), true
}

// slides is the pull on what slides out of its sleeve: the whole laden trailer at 1 g. It is not
// under the D value, g·T·R/(T+R), of any car T.
func (c *check) slides() (Pull, bool) {
	if c.r.Bears == nil {
		return Pull{}, false
	}
	return Pull{Inertia: c.r.Bears.Mass.High, Lever: 1, G: 1}, true
}

// takes is what one latch is used to at most, kg; sure is false where a grade was taken for it.
func (c *check) takes() (kg float64, sure, ok bool) {
	if c.l.Takes != nil {
		return float64(*c.l.Takes), true, true
	}
	if c.l.Pin > 0 {
		b, known := norms.BoltOf(c.l.Grade)
		return 2 * b.ShearOf(float64(c.l.Pin)) / working / quantity.Gravity, known, true
	}
	return 0, false, false
}

// holds judges the latch.
func (c *check) holds() finding.Finding {
	f := c.base(CodeHolds, "what holds it")
	p, ok := c.pull()
	n := float64(max(1, c.l.Count))
	switch {
	case !ok:
		f.Outcome, f.Says = finding.Unknown, said.Say("Whether % stays shut is not known.", c.name())
		f.Needs = c.sizes()
		if c.it.Mass == nil && c.opens != plan.OpensPull {
			f.Needs = append(f.Needs, finding.Need{Path: c.it.Path + "/mass", Says: said.Say("the weight of %", c.name()),
				Where: said.Say("Weigh it, or put its free end on a scale.")})
		}
		if len(f.Needs) == 0 {
			f.Needs = []finding.Need{c.need("up", "how high the latch of % is above its hinge", "Tape it.")}
		}
		return f
	case c.l.How == plan.LatchWeight:
		f.Outcome = finding.Fails
		f.Says = said.Say("Only its weight or a fit holds %. On the road % pulls at it: pin, bolt or strap it.",
			c.name(), said.Mass(p.All()))
		return f
	}
	kg, sure, told := c.takes()
	if !told {
		f.Outcome = finding.Unknown
		f.Says = said.Say("Whether the latch of % holds % is not known.", c.name(), said.Mass(p.All()))
		if c.l.How == "" {
			f.Says = said.Say(
				"What keeps % shut is not known; on the road % pulls at it.",
				c.name(),
				said.Mass(p.All()),
			)
		}
		f.Needs = []finding.Need{c.need("pin", "the pin's diameter, or what the latch of % takes",
			"Measure the pin; a latch or strap has its limit on it.")}
		return f
	}
	f.AtMost(quantity.KindMass, p.All()/n, kg)
	if !sure && f.Outcome == finding.Holds && c.l.Grade != "" {
		f.Outcome, f.Tight = finding.Tight, finding.GuessTooRough
	}
	f.Says = said.Say(
		"%: % pulls at each of its % latches, which takes %.",
		c.name(),
		said.Mass(p.All()/n),
		said.Count(int(n)),
		said.Mass(kg),
	)
	if n == 1 {
		f.Says = said.Say("%: % pulls at its latch, which takes %.", c.name(), said.Mass(p.All()), said.Mass(kg))
	}
	if f.Outcome == finding.Fails {
		f.Says = append(f.Says, said.Say(" Use a stronger one, or a second beside it.")...)
	}
	f.HasWork, f.Work = true, func() []finding.Step {
		weight, mass := said.Say("its weight at most"), 0.0
		if c.opens == plan.OpensPull {
			weight, mass = said.Say("the laden trailer at most"), p.Inertia
		} else {
			mass = c.it.Mass.High
		}
		return []finding.Step{{
			Symbol: "F", Says: said.Say("what pulls at it"), Formula: "F = m·a·h/l + wind", Source: f.Source,
			Result: finding.Exactly(quantity.KindMass, p.All()),
			Terms: []finding.StepTerm{
				{
					Symbol:  "m",
					Says:    weight,
					Measure: finding.Exactly(quantity.KindMass, mass),
					How:     "stated",
					Path:    c.it.Path + "/mass",
				},
				{
					Symbol:  "a",
					Says:    said.Say("in g"),
					Measure: finding.Exactly(quantity.KindCount, p.G),
					How:     "rule followed",
				},
				{
					Symbol:  "h/l",
					Says:    said.Say("its centre over the latch's height"),
					Measure: finding.Exactly(quantity.KindShare, p.Lever),
					How:     "computed",
				},
				{
					Symbol:  "wind",
					Says:    said.Say("on its face"),
					Measure: finding.Exactly(quantity.KindMass, p.Wind),
					How:     "computed",
				},
			},
		}}
	}
	return f
}

func (c *check) second() finding.Finding {
	f := c.base(CodeSecond, "a second lock")
	f.Outcome, f.Tight = finding.Tight, finding.LittleRoom
	f.Says = said.Say(
		"%: if its only latch opens, it is on the road. Add a second one that holds on its own: a clip, a strap, a padlock.",
		c.name(),
	)
	return f
}

// sway is how far its top moves by the play at its foot, p·h/d, and what stills it there.
func (c *check) sway() finding.Finding {
	f := c.base(CodeSway, "play")
	f.Gate = ""
	high := c.it.Top - c.it.Bottom
	top := float64(*c.l.Play) * high / float64(*c.l.Socket)
	f.AtMost(quantity.KindLength, top, swayMost)
	if f.Outcome == finding.Fails { // it rattles: no reason to stay at home
		f.Outcome, f.Tight = finding.Tight, finding.LittleRoom
	}
	f.Says = said.Say(
		"%: % of play at its foot is % at the top.",
		c.name(),
		said.Length(*c.l.Play),
		said.Length(top),
	)
	if c.it.Mass != nil && high > 0 && f.Outcome == finding.Tight {
		centre := upright * high
		if u := c.part.Centre.Up; u != nil {
			centre = float64(u.Value)
		}
		still := c.it.Mass.Nominal * rearward * math.Min(1, centre/high)
		f.Says = append(
			f.Says,
			said.Say(" A strap at its top tightened to % stops that, or shims at the foot.", said.Mass(still))...)
	}
	return f
}

// Ticks are the departure card's lines of what is latched.
func Ticks(r *rig.Rig) []finding.Tick {
	var out []finding.Tick
	for i := range r.Items {
		it := &r.Items[i]
		l := r.Plan.Parts[it.ID].Latch
		if !it.Part || l == nil {
			continue
		}
		says := said.Say("%: latched; pull at it.", said.Name(it.Name, "a part"))
		if l.Second {
			says = said.Say("%: latched, with the second lock in; pull to try.", said.Name(it.Name, "a part"))
		}
		out = append(out, finding.Tick{Under: finding.UnderWalk, ID: "latch-" + it.ID, Says: says})
	}
	return out
}
