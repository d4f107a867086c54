package wiring

import (
	"math"
	"slices"

	"zygonos/core/facts/norms"
	"zygonos/core/lang/said"
	"zygonos/core/plan"
)

// FaultKind is what may be wrong.
type FaultKind string

// The faults.
const (
	FaultBulb          FaultKind = "bulb"            // dead, or its feed is off
	FaultLampEarth     FaultKind = "lamp-earth"      // of a unit, lost
	FaultPoorLampEarth FaultKind = "poor-lamp-earth" // of a unit, through rust or paint
	FaultEarth         FaultKind = "earth"           // of the plug, lost
	FaultPoorEarth     FaultKind = "poor-earth"
	FaultOpen          FaultKind = "open"  // a wire or contact of a pole
	FaultPoor          FaultKind = "poor"  // a corroded contact of a pole
	FaultFuse          FaultKind = "fuse"  // the car gives a pole nothing
	FaultSwap          FaultKind = "swap"  // two wires changed
	FaultShort         FaultKind = "short" // two wires touch
	FaultCarEarth      FaultKind = "car-earth"
	FaultWrongBulb     FaultKind = "wrong-bulb" // a small one where a bright one belongs
	FaultConverter     FaultKind = "converter"  // it does nothing, or is of the wrong kind
	FaultWater         FaultKind = "water"
)

// Fault is one thing that is wrong. Prior is how common it is beside the others (practice, C).
type Fault struct {
	Kind  FaultKind
	At    int // pole, lamp or unit
	With  int // the other pole of a swap
	Prior float64
}

// priors weigh the kinds (practice, C): earths fail most.
var priors = map[FaultKind]float64{
	FaultBulb: 20, FaultLampEarth: 15, FaultPoorLampEarth: 15, FaultEarth: 12, FaultPoorEarth: 8, FaultOpen: 8,
	FaultPoor: 8, FaultFuse: 6, FaultSwap: 3, FaultWater: 4, FaultShort: 1, FaultCarEarth: 2, FaultWrongBulb: 3,
	FaultConverter: 10,
}

// Resistances of what is poor (practice, C), ohm.
const (
	rusty    = 6.0 // of an earth through paint or rust
	corroded = 4.0 // of a contact
)

// A small bulb, W, and the least power of a lamp in which it is the wrong one.
const (
	wrongBulb  = 5.0
	brightBulb = 15.0
)

// wrong are the faults that there are at once.
type wrong []Fault

func (w wrong) is(kind FaultKind, at int) bool {
	return slices.ContainsFunc(w, func(f Fault) bool { return f.Kind == kind && f.At == at })
}

// more is what faults of a kind at a place add to a resistance, ohm; at −1 wherever they are.
func (w wrong) more(kind FaultKind, at int) (ohms float64) {
	for _, f := range w {
		if f.Kind != kind || at >= 0 && f.At != at {
			continue
		}
		switch kind {
		case FaultPoorLampEarth, FaultPoorEarth:
			ohms += rusty
		case FaultPoor:
			ohms += corroded
		default:
			ohms = math.Inf(1)
		}
	}
	return ohms
}

// swapped is the wire that a pole's contact is on.
func (w wrong) swapped(pole int) int {
	for _, f := range w {
		switch {
		case f.Kind != FaultSwap:
		case pole == f.At:
			pole = f.With
		case pole == f.With:
			pole = f.At
		}
	}
	return pole
}

// Faults are all single faults of a harness.
func (h *Harness) Faults() (out []Fault) {
	add := func(kind FaultKind, at, with int) { out = append(out, Fault{kind, at, with, priors[kind]}) }
	for i := range h.lamps {
		if h.lamps[i].pole >= 0 {
			add(FaultBulb, i, 0)
			if w, _ := rated(&h.lamps[i].l); w >= brightBulb && !h.lamps[i].l.LED {
				add(FaultWrongBulb, i, 0)
			}
		}
	}
	for u := range h.units {
		add(FaultLampEarth, u, 0)
		add(FaultPoorLampEarth, u, 0)
	}
	add(FaultEarth, 0, 0)
	add(FaultPoorEarth, 0, 0)
	add(FaultCarEarth, 0, 0)
	if h.converts() && h.w.Converter {
		add(FaultConverter, 0, 0)
	}
	used := h.usedPoles()
	for k, p := range used {
		add(FaultOpen, p, 0)
		add(FaultPoor, p, 0)
		add(FaultFuse, p, 0)
		for _, q := range used[k+1:] {
			add(FaultSwap, p, q)
			add(FaultShort, p, q)
		}
	}
	add(FaultWater, 0, 0)
	return out
}

// Says names a fault.
func (h *Harness) says(f *Fault) said.Sentence {
	unit := func(u int) said.Piece { return said.Name(h.unitName(u), "a lamp") }
	pole := func(i int) said.Sentence { return h.poleName(i) }
	switch f.Kind {
	case FaultBulb:
		return said.Say("% is dead, or its own wire is off", said.Name(h.called(f.At), "a lamp"))
	case FaultLampEarth:
		return said.Say("the earth of % is lost", unit(f.At))
	case FaultPoorLampEarth:
		return said.Say("the earth of % is poor: rust or paint", unit(f.At))
	case FaultEarth:
		return said.Say("the plug's earth is lost")
	case FaultPoorEarth:
		return said.Say("the plug's earth is poor: corroded contact or bolt")
	case FaultOpen:
		return append(said.Say("the wire or contact of "), append(pole(f.At), said.Say(" is open")...)...)
	case FaultPoor:
		return append(said.Say("the contact of "), append(pole(f.At), said.Say(" is corroded")...)...)
	case FaultFuse:
		return append(
			said.Say("the car gives "),
			append(pole(f.At), said.Say(" nothing: its fuse, or a short that blew it")...)...)
	case FaultCarEarth:
		return said.Say("the earth of the car's socket is lost")
	case FaultWrongBulb:
		return said.Say("%: there is a bulb of % W where a bright one belongs",
			said.Name(h.called(f.At), "a lamp"), number(wrongBulb))
	case FaultConverter:
		return said.Say("the converter does nothing, or is of the wrong kind")
	case FaultShort:
		return slices.Concat(
			said.Say("the wires of "), pole(f.At), said.Say(" and "), pole(f.With), said.Say(" touch"),
		)
	case FaultSwap:
		return slices.Concat(
			said.Say("the wires of "),
			pole(f.At),
			said.Say(" and "),
			pole(f.With),
			said.Say(" are swapped"),
		)
	}
	return said.Say("there is water in the plug")
}

// saysAll names what is wrong at once.
func (h *Harness) saysAll(w wrong) (s said.Sentence) {
	for i := range w {
		if i > 0 {
			s = append(s, said.Say(", and ")...)
		}
		s = append(s, h.says(&w[i])...)
	}
	return s
}

// poleName is a pole by its number and what it does; never by its colour alone.
func (h *Harness) poleName(i int) said.Sentence {
	p := &h.poles[i]
	s := said.Say("pole %, "+feedWord[p.Feed], said.Piece{Text: p.Number})
	if p.Colour != "" {
		s = append(s, said.Say(" (%)", said.Piece{Text: p.Colour})...)
	}
	return s
}

var feedWord = map[norms.Feed]string{
	norms.FeedLeft: "left turn", norms.FeedRight: "right turn", norms.FeedStop: "stop", norms.FeedTail: "tail",
	norms.FeedTailLeft: "left tail", norms.FeedTailRight: "right tail", norms.FeedStopLeft: "left stop and turn",
	norms.FeedStopRight: "right stop and turn", norms.FeedFog: "fog", norms.FeedReverse: "reverse", norms.FeedEarth: "earth",
	norms.FeedSupply: "12 V", norms.FeedCharge: "12 V, engine on", norms.FeedReturn: "earth of a supply", norms.FeedBrake: "brake",
	norms.FeedNone: "free",
}

var useWord = map[plan.LampUse]string{
	plan.LampTail: "tail lamp", plan.LampStop: "stop lamp", plan.LampTurn: "turn lamp", plan.LampPlate: "plate lamp",
	plan.LampFog: "fog lamp", plan.LampReverse: "reverse lamp", plan.LampMarker: "marker lamp", plan.LampTriangle: "triangle",
	plan.LampFront: "front lamp", plan.LampOutline: "outline lamp", plan.LampIdent: "identification lamp",
	plan.LampRearReflector: "rear reflector", plan.LampSideReflector: "side reflector", plan.LampFrontReflector: "front reflector",
}

// called is a lamp within a sentence.
func (h *Harness) called(i int) string {
	if l := &h.lamps[i].l; l.Name != "" {
		return l.Name
	}
	return "the " + h.lampName(i)
}

// lampName is a lamp's own name, or its side and use.
func (h *Harness) lampName(i int) string { return nameOf(&h.lamps[i].l) }

func nameOf(l *plan.Lamp) string {
	if l.Name != "" {
		return l.Name
	}
	switch {
	case l.Right < -0.01:
		return "left " + useWord[l.What]
	case l.Right > 0.01:
		return "right " + useWord[l.What]
	}
	return useWord[l.What]
}

// unitName is what lamps at one place are called together.
func (h *Harness) unitName(u int) string {
	var of []int
	for i := range h.lamps {
		if h.lamps[i].unit == u {
			of = append(of, i)
		}
	}
	if len(of) == 1 {
		return h.called(of[0])
	}
	switch l := &h.lamps[of[0]].l; {
	case l.Right < -0.01:
		return "the left lamps"
	case l.Right > 0.01:
		return "the right lamps"
	}
	return "the middle lamps"
}
