package box

import (
	"math"

	"zygonos/core/facts/norms"
	"zygonos/core/goods"
	"zygonos/core/lang/finding"
	"zygonos/core/lang/quantity"
	"zygonos/core/lang/said"
	"zygonos/core/parts"
)

// Figures of doors (practice, C).
const (
	oneLifts = 250.0 // N that one lifts at a door's edge
	onAxle   = 0.6   // of a machine on one of its axles
	dynamic  = 1.3   // as it rolls on
)

// doorMass is what the rear face weighs as a door, kg at most.
func (b *Body) doorMass() (kg float64) {
	for _, p := range parts.BoxPieces(b.b) {
		if p.Door {
			kg += float64(p.Count) * p.Each.High
		}
	}
	return kg
}

// lift asks what it takes to raise the ramp door from flat by its upper edge: (m·g·h/2 − F·a)/h, F what helps at its arm.
func (b *Body) lift() (finding.Finding, bool) {
	f := b.base(CodeDoor, "Lifting the ramp door", "doorPush")
	if !b.b.RampDoor || b.b.OpenRear {
		return f, false
	}
	kg, h := b.doorMass(), float64(b.b.High)
	if !(kg > 0) {
		return b.need(f, "stick", "what the door is built of", "Its sticks and its skin."), true
	}
	helps := 0.0
	if b.b.DoorPush != nil && b.b.DoorArm != nil {
		helps = float64(*b.b.DoorPush) * float64(*b.b.DoorArm)
	}
	force := (kg*quantity.Gravity*h/2 - helps) / h
	f.AtMost(quantity.KindForce, math.Max(0, force), oneLifts)
	f.Says = said.Say("The door weighs %; lifting it at the edge takes %, of the % one person lifts.", said.Mass(kg),
		said.Of(quantity.KindForce, math.Max(0, force)), said.Of(quantity.KindForce, oneLifts))
	switch {
	case force < 0:
		f.Outcome, f.Tight = finding.Tight, finding.LittleRoom
		f.Says = append(
			f.Says,
			said.Say(" The spring or strut lifts it on its own: use a weaker one, or it will not stay down as a ramp.")...)
	case f.Outcome == finding.Fails:
		f.Says = append(
			f.Says,
			said.Say(" Add a spring or gas struts of % at a third of its height, a winch, or a second person.",
				said.Of(quantity.KindForce, math.Ceil((kg*quantity.Gravity*h/2-oneLifts*h)/(h/3)/10)*10))...)
	}
	return f, true
}

// machineAxle is the heavier axle of the heaviest machine that rolls here, kg at most; light is one without its weight.
func (b *Body) machineAxle() (kg float64, light string) {
	for i := range b.r.Items {
		it := &b.r.Items[i]
		switch {
		case it.Load == nil || !goods.Rolls(it.Load):
		case it.Mass == nil:
			return kg, it.Path
		default:
			kg = math.Max(kg, onAxle*it.Mass.High)
		}
	}
	return kg, ""
}

// ramp is the door's own rating: its stiles as beams from floor to ground, one axle of a machine in the middle of two of them.
//
//	σ = 1.3·P·g·L/4/(n·W),  n two or all stiles if fewer
func (b *Body) ramp() (finding.Finding, bool) {
	f := b.base(CodeRamp, "The door as a ramp", "stiles")
	if !b.b.RampDoor || b.b.OpenRear {
		return f, false
	}
	if b.bar == nil || b.b.Stiles < 2 {
		return b.need(
			f,
			"stiles",
			"how many stiles run up the door, and their section",
			"Count what runs from its hinge to its edge.",
		), true
	}
	bears := b.of.Working() * 2 * math.Min(
		b.bar.Wy,
		b.bar.Wz,
	) * 4 / (dynamic * quantity.Gravity * float64(b.b.High))
	heaviest, light := b.machineAxle()
	if light != "" {
		return weigh(f, light), true
	}
	f.Figure, f.Limit = finding.Exactly(quantity.KindMass, heaviest), finding.Exactly(quantity.KindMass, bears)
	f.Says = said.Say(
		"Two stiles carry an axle of %, with the wheels over them and the door's edge on firm ground.",
		said.Mass(bears),
	)
	if heaviest > 0 {
		f.AtMost(quantity.KindMass, heaviest, bears)
		f.Says = append(f.Says, said.Say(" The heaviest machine here puts % on one.", said.Mass(heaviest))...)
		if f.Outcome == finding.Fails {
			f.Says = append(f.Says, said.Say(" Use stronger stiles, a prop under the middle, or loose ramps.")...)
		}
	}
	f.Source = norms.Practice("a beam with the axle in its middle, 1.3 times as it rolls")
	return f, true
}
