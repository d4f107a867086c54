// Package box answers what a body on the deck weighs and leaves of the payload, what wind and bulk do to it, whether it stays
// square, how it is held, whether its door can be lifted, and whether it gets out of where it is built. Formulas:
// docs/method/box.md.
package box

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

// Codes of the findings made here.
const (
	CodeMass    = "box.mass"
	CodeWind    = "box.wind"
	CodeHeight  = "box.height"
	CodeDoor    = "box.door"
	CodeRamp    = "box.ramp"
	CodeBulk    = "box.bulk"
	CodePosts   = "box.posts"
	CodeLatch   = "box.latch"
	CodeHinges  = "box.hinges"
	CodeGusts   = "box.gusts"
	CodeRacking = "box.racking"
	CodeHeld    = "box.held"
	CodeOut     = "box.out"
	CodeCarry   = "box.carry"
)

// Body is a part that is a body on the deck, with what follows from how it is built.
type Body struct {
	r    *rig.Rig
	it   *rig.Item
	id   string
	b    *plan.BoxBody
	mass quantity.Range[float64]
	bar  *section.Properties // of its sticks; nil where none are stated
	of   catalogue.Stock
	side float64 // m²
}

// Bodies are those that are on this outing.
func Bodies(r *rig.Rig) (out []*Body) {
	if r == nil {
		return nil
	}
	for i := range r.Items {
		it := &r.Items[i]
		part := r.Plan.Parts[it.ID]
		if !it.Part || part.Box == nil {
			continue
		}
		// what wind from the side meets, as it stands
		b := &Body{r: r, it: it, id: it.ID, b: part.Box, side: it.Length() * float64(part.Box.High)}
		b.mass, _, _ = parts.BoxMass(part.Box)
		if part.Mass != nil && part.Mass.Value > 0 {
			b.mass = part.Mass.Range(r.Plan).Floats()
		}
		if s, err := section.Of(parts.SizeOf(part.Box.Stick)); err == nil && part.Box.Stick.Shape != "" {
			b.bar = &s
			stock, _ := catalogue.StockOf(part.Box.Stick.Material)
			b.of = stock.InTheSun()
		}
		out = append(out, b)
	}
	return out
}

func (b *Body) path(field string) string { return "/parts/" + b.id + "/box/" + field }

func (b *Body) base(code, title, field string) finding.Finding {
	return finding.Finding{
		Code: code, Stage: Stage, Scope: b.r.Scope, Title: said.Say(title), Outcome: finding.Holds,
		Subject: b.path(field), Source: norms.Practice("bodies on light trailers"),
	}
}

func (b *Body) need(f finding.Finding, field, says, where string) finding.Finding {
	f.Outcome, f.Figure, f.Limit = finding.Unknown, nil, nil
	f.Says = said.Say("Not known: " + says + ".")
	f.Needs = []finding.Need{{Path: b.path(field), Says: said.Say(says), Where: said.Say(where)}}
	return f
}

// Check judges the bodies of an outing.
func Check(r *rig.Rig) (out []finding.Finding) {
	for _, b := range Bodies(r) {
		out = append(out, b.weighs())
		for _, ask := range []func() (finding.Finding, bool){
			b.wind, b.gusts, b.height, b.lift, b.ramp, b.boards, b.posts, b.latch, b.hinges, b.racking, b.held, b.out, b.carry,
		} {
			if f, is := ask(); is {
				out = append(out, f)
			}
		}
	}
	return out
}

// weighs says what it weighs and what of the payload it leaves: rating less empty trailer less the body, where the empty
// trailer was not weighed with it.
func (b *Body) weighs() finding.Finding {
	f := b.base(CodeMass, "What it weighs", "stick")
	if !(b.mass.Nominal > 0) {
		return b.need(f, "stick", "what it is built of", "Its sticks and its skin, or its weight by a scale.")
	}
	f.Figure = finding.Of(quantity.KindMass, b.mass)
	f.Says = said.Say("It weighs %.", said.Mass(b.mass.Nominal))
	label, empty := b.r.Trailer.Label, b.r.EmptyMass()
	root := "/trailers/" + b.r.Scope.Trailer
	unknown := func(path, says, where string) finding.Finding {
		f.Outcome = finding.Unknown
		f.Says = append(f.Says, said.Say(" What that leaves for the load is not known.")...)
		f.Needs = []finding.Need{{Path: path, Says: said.Say(says), Where: said.Say(where)}}
		return f
	}
	switch {
	case label == nil:
		return unknown(root+"/label", "what the trailer may weigh or carry", "On its plate or in its papers.")
	case empty == nil && label.Counts != plan.CountsPayload:
		return unknown(root+"/empty", "the empty trailer's weight", "On a {weighbridge}, or on its plate.")
	}
	may := float64(label.Value)
	if label.Counts != plan.CountsPayload { // where it is not sure, the less
		may -= empty.High
	}
	_, with := b.r.Trailer.Empty.Parts[b.id]
	whole := may
	if with {
		whole += b.mass.High
	} else {
		may -= b.mass.High
	}
	f.Limit = finding.Exactly(quantity.KindMass, whole)
	f.Says = append(
		f.Says,
		said.Say(" Of a payload of % it leaves % at least.", said.Mass(whole), said.Mass(math.Max(0, may)))...)
	switch {
	case may <= 0:
		f.Outcome = finding.Fails
		f.Says = append(f.Says, said.Say(" Nothing is left for a load: use thinner skins, fewer sticks, or aluminium.")...)
	case may < eats*whole:
		f.Outcome, f.Tight = finding.Tight, finding.LittleRoom
		f.Says = append(f.Says, said.Say(" That uses up most of it.")...)
	}
	return f
}

// eats is the share of the payload that is to be left (practice, C).
const eats = 0.5

// height holds it against the lowest gate.
func (b *Body) height() (finding.Finding, bool) {
	f := b.base(CodeHeight, "Gates and garages", "lowest")
	if b.b.Lowest == nil {
		return f, false
	}
	top := b.r.DeckHeight() + float64(b.b.High)
	f.AtMost(quantity.KindLength, top, float64(*b.b.Lowest)-headroom)
	f.Says = said.Say("Its top is % above the ground and the lowest gate is % high; leave % for a bump.",
		said.Length(top), said.Length(*b.b.Lowest), said.Length(headroom))
	if f.Outcome == finding.Fails {
		f.Says = append(f.Says, said.Say(" Build it lower, or with a roof that comes off.")...)
	}
	return f, true
}

// headroom over a body that bounces (practice, C), m.
const headroom = 0.05
