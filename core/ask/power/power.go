// Package power answers what a battery on board feeds, over which wires and for how long, and whether electric
// brakes and their breakaway get their current. Formulas: docs/method/power.md.
package power

import (
	"fmt"
	"math"
	"slices"

	"zygonos/core/facts/norms"
	"zygonos/core/lang/finding"
	"zygonos/core/lang/quantity"
	"zygonos/core/lang/said"
	"zygonos/core/plan"
	"zygonos/core/rig"
	"zygonos/core/sums/circuit"
)

// Stage under which the findings stand.
const Stage = "wiring"

// Codes of the findings made here.
const (
	CodeLasts  = "power.lasts"
	CodeDrop   = "power.drop"
	CodeHeat   = "power.heat"
	CodeFuse   = "power.fuse"
	CodeBox    = "power.box"
	CodeCharge = "power.charge"
)

// Figures of practice (confidence C).
const (
	nominal   = 12.0 // V
	charging  = 14.2 // V of a car's battery with the engine on
	warm      = 40.0 // °C of a cable
	strong    = 30.0 // A from which a use is a strong one
	dropMost  = 0.10 // of the voltage that a strong use's cable may take
	dropSmall = 0.05 // and another's
	briefly   = 2.0  // minutes of one use within which a cable may carry more …
	brieflyIn = 6.0  // … and of all uses of an outing
	briefMore = 1.5  // times
	fuseNear  = 0.30 // m of cable between a battery's pole and its fuse
	contacts  = 0.05 // ohm of plug, joints and fuse on the way of the charging current
	poleMost  = 15.0 // A through a contact of a plug
	lossy     = 1.2  // times what was taken has to come back
	slowFrom  = 4.0  // h of driving over which charging is slow
	lifted    = 10.0 // A through a charger that lifts the voltage, where the wire bears it
)

// Use is what one use takes, and what its cable should be.
type Use struct {
	ID      string           `json:"id"`
	Name    string           `json:"name"`
	Hours   float64          `json:"hours"`             // of an outing, A·h with what strong currents cost
	Drop    *finding.Measure `json:"drop,omitempty"`    // V
	Section string           `json:"section,omitempty"` // that is enough
	Fuse    string           `json:"fuse,omitempty"`

	u     plan.PowerUse
	bears float64 // of its own wire, A; zero where that is not stated
}

// Board is a battery with its uses.
type Board struct {
	r    *rig.Rig
	p    *plan.Power
	kind norms.Battery
	Uses []Use
}

// New is a rig's battery with its uses; nil where none is stated.
func New(r *rig.Rig) *Board {
	w := r.Trailer.Wiring
	if w == nil || w.Power == nil {
		return nil
	}
	b := &Board{r: r, p: w.Power}
	b.kind, _ = norms.BatteryOf(w.Power.Kind)
	if b.kind.ID == "" {
		b.kind = norms.Batteries[0] // the weakest, where none is stated
	}
	for _, id := range plan.Ordered(w.Power.Uses, func(u plan.PowerUse) int { return u.Order }) {
		b.Uses = append(b.Uses, b.use(id, w.Power.Uses[id]))
	}
	return b
}

// brief is how much more than its ampacity a use's cable bears.
func brief(u *plan.PowerUse) float64 {
	times := 1
	if u.Times != nil {
		times = *u.Times
	}
	if u.Minutes != nil && *u.Minutes <= briefly && *u.Minutes*float64(times) <= brieflyIn {
		return briefMore
	}
	return 1
}

// allowed is the share of the voltage that a use's cable may take.
func allowed(u *plan.PowerUse) float64 {
	if u.Amps != nil && *u.Amps >= strong {
		return dropMost
	}
	return dropSmall
}

// use works out one use: the drop 2·ρ·L·I/A there and back, and the section that drop and heat ask for.
func (b *Board) use(id string, u plan.PowerUse) Use {
	out := Use{ID: id, Name: u.Name, u: u}
	if u.Amps == nil {
		return out
	}
	amps := *u.Amps
	if u.Minutes != nil && b.p.Capacity != nil {
		times := 1
		if u.Times != nil {
			times = *u.Times
		}
		if lasts := b.kind.Lasts(*b.p.Capacity, amps, b.p.Warmth()); lasts > 0 {
			out.Hours = *u.Minutes / 60 * float64(times) / lasts * b.kind.Usable * *b.p.Capacity
		}
	}
	if u.Long == nil {
		return out
	}
	long := 2 * float64(*u.Long)
	need := circuit.Copper(long, 1, warm) * amps / (allowed(&u) * nominal)
	hot, ok := norms.SectionFor(amps/brief(&u), 1)
	if ok && norms.Section(need) >= need-1e-9 {
		mm2 := math.Max(norms.Section(need), hot)
		out.Section = norms.SectionText(mm2)
		if f, ok := norms.FuseFor(amps, norms.Ampacity(mm2)); ok {
			out.Fuse = fmt.Sprintf("%g A", f)
		}
	}
	if u.Wire != nil {
		out.bears = norms.Ampacity(*u.Wire) * brief(&u)
		out.Drop = finding.Exactly(quantity.KindVoltage, circuit.Copper(long, *u.Wire, warm)*amps)
	}
	return out
}

func (b *Board) base(code, title, field string) finding.Finding {
	return finding.Finding{
		Code: code, Stage: Stage, Scope: b.r.Scope, Gate: finding.GateGo, Title: said.Say(title),
		Subject: "/trailers/" + b.r.Scope.Trailer + "/wiring/power/" + field, Outcome: finding.Holds,
		Source: norms.Practice("batteries, cables and fuses of 12 V"),
	}
}

func unknown(f finding.Finding, path string, says said.Sentence, where string) finding.Finding {
	f.Outcome, f.Subject = finding.Unknown, path
	f.Needs = []finding.Need{{Path: path, Says: says, Where: said.Say(where)}}
	f.Says = slices.Concat(said.Say("Not known: "), says, said.Say("."))
	return f
}

// Check judges the battery on board and electric brakes.
func Check(r *rig.Rig) (out []finding.Finding) {
	if b := New(r); b != nil {
		if f, ok := b.lasts(); ok {
			out = append(out, f)
		}
		for i := range b.Uses {
			out = append(out, b.cable(&b.Uses[i])...)
		}
		out = append(out, b.box())
		if f, ok := b.charge(); ok {
			out = append(out, f)
		}
	}
	return append(out, brakes(r)...)
}

// lasts is how many outings the battery gives.
func (b *Board) lasts() (finding.Finding, bool) {
	f := b.base(CodeLasts, "How long the battery lasts", "capacity")
	if len(b.Uses) == 0 {
		return f, false
	}
	root := "/trailers/" + b.r.Scope.Trailer + "/wiring/power/"
	if b.p.Capacity == nil {
		return unknown(
			f,
			root+"capacity",
			said.Say("the battery's capacity"),
			"On its label, in A·h over 20 h.",
		), true
	}
	hours := 0.0
	for i := range b.Uses {
		u := &b.Uses[i]
		at := root + "uses/" + u.ID
		switch {
		case u.u.Amps == nil:
			return unknown(
				f,
				at+"/amps",
				said.Say("what % draws", named(u)),
				"On its plate, at the load it works under.",
			), true
		case u.u.Minutes == nil:
			return unknown(
				f,
				at+"/minutes",
				said.Say("how long one use of % takes", named(u)),
				"Time it once, or guess high.",
			), true
		}
		hours += u.Hours
	}
	has := b.kind.Usable * *b.p.Capacity
	if !(hours > 0) {
		return f, false
	}
	share := hours / has
	f.Figure, f.Limit = finding.Exactly(quantity.KindShare, share), finding.Exactly(quantity.KindShare, 1.0)
	runs := math.Floor(1/share + 1e-9)
	switch {
	case share > 1+1e-9:
		f.Outcome = finding.Fails
		f.Says = said.Say(
			"An outing takes more than the battery gives: what it can give without harm covers % of it. Fit a larger one, or charge on the way.",
			said.Share(1/share),
		)
	case runs < 2:
		f.Outcome, f.Tight = finding.Tight, finding.LittleRoom
		f.Says = said.Say("The battery lasts for one outing but not for a second: charge it after each.")
	default:
		f.Says = said.Say(
			"The battery lasts for % outings before it needs charging.",
			said.Of(quantity.KindCount, math.Min(runs, 99)),
		)
	}
	if b.p.Kind == "" {
		if f.Outcome == finding.Holds {
			f.Outcome, f.Tight = finding.Tight, finding.GuessTooRough
		}
		f.Says = append(f.Says, said.Say(" Its kind is not entered; lead-acid is assumed.")...)
	}
	return f, true
}

func named(u *Use) said.Piece { return said.Name(u.Name, "a use") }

// cable judges one use's cable: what it takes of the voltage, what it bears, and its fuse.
func (b *Board) cable(u *Use) (out []finding.Finding) {
	if u.u.Amps == nil {
		return nil
	}
	name := said.Name(u.Name, "A use")
	field := "uses/" + u.ID + "/"
	if u.u.Long == nil || u.u.Wire == nil {
		f := b.base(CodeDrop, "Cable and voltage", field+"wire")
		at := "/trailers/" + b.r.Scope.Trailer + "/wiring/power/" + field
		if u.u.Long == nil {
			return []finding.Finding{
				unknown(
					f,
					at+"long",
					said.Say("the length of the cable to %", named(u)),
					"From the battery to it, one way.",
				),
			}
		}
		f = unknown(
			f,
			at+"wire",
			said.Say("the section of the cable to %", named(u)),
			"On its sheath, or by its gauge.",
		)
		if u.Section != "" {
			f.Says = said.Say("%: its cable needs to be % at least.", name, said.Piece{Text: u.Section})
		}
		return []finding.Finding{f}
	}
	amps := *u.u.Amps
	f := b.base(CodeDrop, "Cable and voltage", field+"wire")
	f.AtMost(quantity.KindVoltage, u.Drop.Value, allowed(&u.u)*nominal)
	f.Says = said.Say("%: % of cable there and back takes % at %.", name, said.Length(2*float64(*u.u.Long)),
		said.Of(quantity.KindVoltage, u.Drop.Value), said.Of(quantity.KindCurrent, amps))
	if f.Outcome == finding.Fails {
		f.Outcome, f.Tight = finding.Tight, finding.LittleRoom // slow and hot, no danger by itself
		f.Says = append(
			f.Says,
			said.Say(
				" The usual limit is %: "+wanted(u)+".",
				said.Of(quantity.KindVoltage, allowed(&u.u)*nominal),
			)...)
	}
	g := b.base(CodeHeat, "Cable and current", field+"wire")
	g.AtMost(quantity.KindCurrent, amps, u.bears)
	g.Says = said.Say(
		"% draws %; its cable is good for %.",
		name,
		said.Of(quantity.KindCurrent, amps),
		said.Of(quantity.KindCurrent, u.bears),
	)
	if g.Outcome == finding.Fails {
		g.Says = append(g.Says, said.Say(" It burns: "+wanted(u)+".")...)
	}
	h := b.base(CodeFuse, "Fuse", field+"fuse")
	switch {
	case u.u.Fuse == nil:
		h.Outcome = finding.Fails
		h.Says = said.Say("% has no fuse: a chafed cable burns with all that the battery gives.", name)
		if u.Fuse != "" {
			h.Says = append(h.Says, said.Say(" % close to the battery.", said.Piece{Text: u.Fuse})...)
		}
	case *u.u.Fuse > norms.Ampacity(*u.u.Wire)+1e-9 && *u.u.Fuse <= u.bears+1e-9:
		h.Outcome, h.Tight = finding.Tight, finding.LittleRoom
		h.Says = said.Say(
			"%: its fuse of % blows in a short, but not when the motor jams: the cable is good for only % for longer than a moment. Watch it, or use a thicker cable.",
			name,
			said.Of(quantity.KindCurrent, *u.u.Fuse),
			said.Of(quantity.KindCurrent, norms.Ampacity(*u.u.Wire)),
		)
	case *u.u.Fuse > u.bears+1e-9:
		h.Outcome = finding.Fails
		h.Figure, h.Limit = finding.Exactly(
			quantity.KindCurrent,
			*u.u.Fuse,
		), finding.Exactly(
			quantity.KindCurrent,
			u.bears,
		)
		h.Says = said.Say("%'s fuse of % is larger than the % its cable is good for: the cable burns first.", name,
			said.Of(quantity.KindCurrent, *u.u.Fuse), said.Of(quantity.KindCurrent, u.bears))
	case *u.u.Fuse < amps:
		h.Outcome, h.Tight = finding.Tight, finding.LittleRoom
		h.Says = said.Say(
			"%'s fuse of % blows at its own %.",
			name,
			said.Of(quantity.KindCurrent, *u.u.Fuse),
			said.Of(quantity.KindCurrent, amps),
		)
	default:
		h.Says = said.Say(
			"%'s fuse of % blows before its cable burns.",
			name,
			said.Of(quantity.KindCurrent, *u.u.Fuse),
		)
	}
	if g.Outcome == finding.Holds && h.Outcome == finding.Holds { // one sentence is enough
		f.Says = append(f.Says, said.Say(" It is good for %, and its fuse of % blows first.",
			said.Of(quantity.KindCurrent, u.bears), said.Of(quantity.KindCurrent, *u.u.Fuse))...)
		return []finding.Finding{f}
	}
	return []finding.Finding{f, g, h}
}

// wanted says what section is enough.
func wanted(u *Use) string {
	if u.Section == "" {
		return "no single cable sold is thick enough; move it nearer to the battery"
	}
	return u.Section + " is enough"
}

// box asks for what a battery on board wants around it.
func (b *Board) box() finding.Finding {
	f := b.base(CodeBox, "Around the battery", "fuseAt")
	var missing []said.Sentence
	if b.p.FuseAt == nil {
		missing = append(missing, said.Say("a fuse within % of its pole (not entered)", said.Length(fuseNear)))
	} else if float64(*b.p.FuseAt) > fuseNear+1e-9 {
		missing = append(missing, said.Say("its fuse within % of its pole, not %", said.Length(fuseNear), said.Length(*b.p.FuseAt)))
	}
	if !b.p.Isolator && !b.p.Borrowed {
		missing = append(missing, said.Say("an isolator that can be reached from outside"))
	}
	if b.kind.Gases && !b.p.Vented && !b.p.Borrowed {
		missing = append(missing, said.Say("a box with an opening at its top: it gives off gas that explodes"))
	}
	if len(missing) == 0 {
		f.Says = said.Say("Fuse, isolator and box are as they should be. Cover the poles and strap the battery down.")
		return f
	}
	f.Outcome, f.Tight = finding.Tight, finding.LittleRoom
	f.Says = append(said.Say("The battery needs "), said.List(missing...)...)
	f.Says = append(f.Says, said.Say(".")...)
	return f
}

// comes is what comes in through the car's plug, A: (14.2 − U)/R, no more than contact and wire bear; through a
// charger that lifts the voltage what that draws.
func (b *Board) comes() float64 {
	bears := math.Min(poleMost, norms.Ampacity(*b.p.ChargeWire))
	if b.p.Lifts {
		return math.Min(lifted, bears)
	}
	ohms := circuit.Copper(2*float64(*b.p.ChargeLong), *b.p.ChargeWire, warm) + contacts
	return math.Min(bears, math.Max(0, charging-b.kind.Charge)/ohms)
}

// charge says how long the car takes to give back what an outing takes.
func (b *Board) charge() (finding.Finding, bool) {
	f := b.base(CodeCharge, "Charging on the way", "chargeWire")
	f.Gate = ""
	long, wire := b.p.ChargeLong != nil, b.p.ChargeWire != nil
	if b.p.Borrowed || !long && !wire {
		return f, false
	}
	if b.p.Warmth() < b.kind.Deepest {
		f.Outcome, f.Gate = finding.Fails, finding.GateGo
		f.Says = said.Say(
			"A " + b.kind.Name + " battery must not be charged in such cold: it is ruined. Disconnect the charging wire, or use a battery that heats itself.",
		)
		return f, true
	}
	if !long || !wire {
		path := "/trailers/" + b.r.Scope.Trailer + "/wiring/power/"
		need := finding.Need{
			Path: path + "chargeLong", Says: said.Say("how long the charging cable is"), Where: said.Say("From the car's battery to this one."),
		}
		if long {
			need = finding.Need{
				Path: path + "chargeWire", Says: said.Say("the charging cable's section"), Where: said.Say("It is printed on the cable."),
			}
		}
		f.Lacks("What comes in on the way", need)
		return f, true
	}
	amps, hours := b.comes(), 0.0
	for i := range b.Uses {
		hours += b.Uses[i].Hours
	}
	f.Figure = finding.Exactly(quantity.KindCurrent, amps)
	f.Says = said.Say("Through % of % about % comes in on the way", said.Length(*b.p.ChargeLong),
		said.Piece{Text: norms.SectionText(*b.p.ChargeWire)}, said.Of(quantity.KindCurrent, amps))
	if hours <= 0 || amps <= 0 {
		f.Says = append(f.Says, said.Say(".")...)
		return f, true
	}
	back := hours * lossy / amps
	f.Says = append(
		f.Says,
		said.Say(": what an outing takes is back after % of driving.", said.Of(quantity.KindTime, back*3600))...)
	if back > slowFrom {
		f.Outcome, f.Tight = finding.Tight, finding.LittleRoom
		f.Says = append(
			f.Says,
			said.Say(
				" Use a thicker wire or a charger beside the battery that lifts the voltage, or charge it at home.",
			)...)
	}
	return f, true
}
