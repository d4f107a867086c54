// Package wiring answers what a trailer's lamps do on its plug: which are asked for and where, how bright each
// is, and what is wrong when they do something else. Formulas: docs/method/wiring.md.
package wiring

import (
	"cmp"
	"math"
	"slices"
	"sync"

	"zygonos/core/facts/norms"
	"zygonos/core/plan"
	"zygonos/core/rig"
	"zygonos/core/sums/circuit"
)

// Stage under which the findings stand.
const Stage = "wiring"

// Figures of practice (confidence C) where nothing is stated.
const (
	battery  = 12.8 // V with the engine off
	carInner = 0.05 // ohm of battery, wires and switch of the car, for each feed
	carEarth = 0.01 // ohm from the socket's earth to the battery
	contact  = 0.01 // ohm of a clean contact of the plug
	bolted   = 0.02 // ohm of a clean bolted earth on steel
	usual    = 1.0  // mm² of a wire
	slack    = 0.80 // m of cable that hangs to the car, with its loop
	ends     = 0.30 // m of wire at a lamp
	warm     = 40.0 // °C of a wire in the sun
	together = 0.25 // m within which lamps are one unit with one earth
	ledFrom  = 8.0  // V under which an LED unit is dark
	lamp12   = 12.0 // V for which lamps are rated
)

// Watts are what lamps usually take at 12 V: bulbs (A), LED units (C).
var watts = map[plan.LampUse][2]float64{
	plan.LampTail: {
		5,
		0.5,
	}, plan.LampStop: {21, 3}, plan.LampTurn: {21, 3}, plan.LampPlate: {5, 0.5}, plan.LampFog: {21, 3},
	plan.LampReverse: {
		21,
		3,
	}, plan.LampMarker: {4, 0.5}, plan.LampFront: {5, 0.5}, plan.LampOutline: {5, 0.5}, plan.LampIdent: {4, 0.5},
}

// Switch is what a driver switches on.
type Switch string

// The switches.
const (
	SwitchTail    Switch = "tail"
	SwitchLeft    Switch = "left"
	SwitchRight   Switch = "right"
	SwitchStop    Switch = "stop"
	SwitchReverse Switch = "reverse"
	SwitchFog     Switch = "fog"
)

// Switches lists them.
var Switches = []Switch{SwitchTail, SwitchLeft, SwitchRight, SwitchStop, SwitchReverse, SwitchFog}

// feeds are the feeds that a switch puts under voltage.
var feeds = map[Switch][]norms.Feed{
	SwitchTail:    {norms.FeedTail, norms.FeedTailLeft, norms.FeedTailRight},
	SwitchLeft:    {norms.FeedLeft, norms.FeedStopLeft},
	SwitchRight:   {norms.FeedRight, norms.FeedStopRight},
	SwitchStop:    {norms.FeedStop, norms.FeedStopLeft, norms.FeedStopRight},
	SwitchReverse: {norms.FeedReverse},
	SwitchFog:     {norms.FeedFog},
}

// lamp is one that shines, with the pole that feeds it.
type lamp struct {
	id   string
	l    plan.Lamp
	pole int // index into poles; −1: the plug has none for it
	unit int // lamps at one place share their earth
}

// Harness is a trailer's wiring ready to be solved.
type Harness struct {
	r     *rig.Rig
	w     *plan.Wiring
	poles []norms.Pole
	car   []norms.Pole // of the socket, where it is another than the plug
	earth int          // pole
	lamps []lamp
	units int
	wire  float64 // mm²
	lead  float64

	once sync.Once
	run  *wires

	sound *class
	known []class // what faults do, once it is asked for
	on    []Switch
}

// mostLamps are simulated: a trailer has a dozen, and a sum with many more takes its time.
const mostLamps = 60

// New makes a rig's harness; nil where no lamps are stated, far too many, or the plug is not known.
func New(r *rig.Rig) *Harness {
	if r == nil {
		return nil
	}
	w := r.Trailer.Wiring
	if w == nil || len(w.Lamps) == 0 || len(w.Lamps) > mostLamps {
		return nil
	}
	poles, ok := norms.Poles[r.Trailer.Plug]
	if !ok {
		return nil
	}
	h := &Harness{r: r, w: w, poles: poles, earth: -1, wire: usual, lead: slack + 1}
	if v := r.Vehicle; v != nil && v.Socket != "" && v.Socket != r.Trailer.Plug {
		h.car = norms.Poles[v.Socket]
	}
	if w.Wire != nil && *w.Wire > 0 {
		h.wire = *w.Wire
	}
	if r.DeckFront != nil {
		h.lead = math.Max(0.3, r.DeckFront.Nominal) + slack
	}
	if w.Lead != nil {
		h.lead = float64(*w.Lead)
	}
	for i, p := range poles {
		if p.Feed == norms.FeedEarth && h.earth < 0 {
			h.earth = i
		}
	}
	for _, id := range plan.Ordered(w.Lamps, func(l plan.Lamp) int { return l.Order }) {
		l := w.Lamps[id]
		if !l.What.Shines() {
			continue
		}
		n := lamp{id: id, l: l, pole: h.poleOf(&l), unit: -1}
		for i := range h.lamps {
			if o := &h.lamps[i].l; math.Hypot(float64(o.Back-l.Back), float64(o.Right-l.Right)) <= together {
				n.unit = h.lamps[i].unit
				break
			}
		}
		if n.unit < 0 {
			n.unit, h.units = h.units, h.units+1
		}
		h.lamps = append(h.lamps, n)
	}
	return h
}

// poleOf is the pole that feeds a lamp; −1 where the plug has none.
func (h *Harness) poleOf(l *plan.Lamp) int {
	side := func(left, right norms.Feed) []norms.Feed {
		switch {
		case l.Right < 0:
			return []norms.Feed{left}
		case l.Right > 0:
			return []norms.Feed{right}
		}
		return []norms.Feed{left, right}
	}
	var want []norms.Feed
	switch l.What {
	case plan.LampTail, plan.LampMarker, plan.LampFront, plan.LampOutline, plan.LampIdent:
		want = append([]norms.Feed{norms.FeedTail}, side(norms.FeedTailLeft, norms.FeedTailRight)...)
	case plan.LampPlate:
		want = []norms.Feed{norms.FeedTailRight, norms.FeedTail}
	case plan.LampStop:
		want = append([]norms.Feed{norms.FeedStop}, side(norms.FeedStopLeft, norms.FeedStopRight)...)
	case plan.LampTurn:
		want = append(side(norms.FeedLeft, norms.FeedRight), side(norms.FeedStopLeft, norms.FeedStopRight)...)
	case plan.LampFog:
		want = []norms.Feed{norms.FeedFog}
	case plan.LampReverse:
		want = []norms.Feed{norms.FeedReverse}
	}
	for _, f := range want {
		if i := slices.IndexFunc(h.poles, func(p norms.Pole) bool { return p.Feed == f }); i >= 0 {
			return i
		}
	}
	return -1
}

// rated is a lamp's power at its voltage.
func rated(l *plan.Lamp) (w, v float64) {
	v = lamp12
	if l.Volts24 {
		v = 24
	}
	if l.Watts != nil && *l.Watts > 0 {
		return *l.Watts, v
	}
	kind := 0
	if l.LED {
		kind = 1
	}
	return watts[l.What][kind], v
}

// net is a harness as a circuit.
type net struct {
	c     circuit.Circuit
	lamps []int // part of each lamp; −1: it is not joined
	pole  []int // node of each pole's contact; zero: it feeds nothing
	feeds []int // part that brings each pole its current; −1: none
	unit  []int // node of each unit's earth
	plus  []int // node of each lamp's feed
}

// build makes the circuit under switches with what is wrong. Node 0 is the car's battery minus.
func (h *Harness) build(on []Switch, f wrong) *net {
	n := &net{}
	node := func() int { n.c.Nodes++; return n.c.Nodes - 1 }
	add := func(p circuit.Part) int { n.c.Parts = append(n.c.Parts, p); return len(n.c.Parts) - 1 }
	join := func(a, b int, ohms float64) {
		if !math.IsInf(ohms, 1) {
			add(circuit.Part{From: a, To: b, Ohms: math.Max(1e-4, ohms)})
		}
	}
	copper := func(long float64) float64 { return circuit.Copper(long, h.wire, warm) }
	node()
	w := h.wires()
	live := func(feed norms.Feed) bool {
		return slices.ContainsFunc(on, func(s Switch) bool { return h.gives(s, feed, f.is(FaultConverter, 0)) })
	}
	pole, far := make([]int, len(h.poles)), make([]int, len(h.poles))
	used := h.usedPoles()
	for i := range h.poles {
		n.feeds = append(n.feeds, -1)
		if i != h.earth && !slices.Contains(used, i) { // it feeds nothing
			continue
		}
		pole[i], far[i] = node(), node()
		if live(h.poles[i].Feed) && !f.is(FaultFuse, i) {
			n.feeds[i] = add(
				circuit.Part{Kind: circuit.Source, From: 0, To: pole[i], Volts: battery, Ohms: carInner},
			)
		}
	}
	for i := range h.poles {
		if i == h.earth || pole[i] == 0 {
			continue
		}
		join(pole[i], far[f.swapped(i)], contact+f.more(FaultOpen, i)+f.more(FaultPoor, i)+copper(w.trunk[i]))
	}
	n.pole = pole
	frame := node()
	if h.earth >= 0 {
		join(0, pole[h.earth], carEarth+f.more(FaultCarEarth, -1))
		lost := contact + f.more(FaultEarth, -1) + f.more(FaultPoorEarth, -1)
		if h.w.EarthFrame {
			join(pole[h.earth], frame, lost+copper(h.lead)+bolted)
		} else {
			join(pole[h.earth], far[h.earth], lost+copper(w.earth))
		}
	}
	for u := range h.units {
		e := node()
		n.unit = append(n.unit, e)
		ohms := f.more(FaultLampEarth, u) + f.more(FaultPoorLampEarth, u)
		switch {
		case h.w.EarthFrame:
			join(e, frame, ohms+bolted)
		case h.earth >= 0:
			join(e, far[h.earth], ohms+copper(w.unit[u]))
		}
	}
	for i := range h.lamps {
		l := &h.lamps[i]
		p := node()
		n.plus = append(n.plus, p)
		n.lamps = append(n.lamps, -1)
		if l.pole < 0 {
			continue
		}
		join(far[l.pole], p, copper(w.branch[i]))
		if f.is(FaultBulb, i) {
			continue
		}
		watt, volt := rated(&l.l)
		if f.is(FaultWrongBulb, i) {
			watt = wrongBulb
		}
		part := circuit.Part{Kind: circuit.Filament, From: p, To: n.unit[l.unit], Volts: volt, Watts: watt}
		if l.l.LED {
			part.Kind, part.Threshold = circuit.LED, ledFrom*volt/lamp12
		}
		n.lamps[i] = add(part)
	}
	for _, one := range f {
		if one.Kind == FaultShort {
			join(far[one.At], far[one.With], bolted)
		}
	}
	if f.is(FaultWater, 0) { // between neighbours and to earth
		for k, i := range used {
			if h.earth >= 0 {
				join(pole[i], pole[h.earth], leakage)
			}
			if k > 0 {
				join(pole[used[k-1]], pole[i], leakage)
			}
		}
	}
	return n
}

// leakage is what water in a plug leaves between its contacts, ohm (practice, C).
const leakage = 40.0

// Light is a lamp under some switches.
type light struct {
	volts, amps, bright float64
}

// Lit is how every lamp shines, and what each pole carries, A.
type lit struct {
	lights []light
	poles  []float64
	earths []float64 // V of each unit's earth over the battery's
	net    *net
	volts  []float64 // of each node
	err    error
}

// solve is the harness under switches.
func (h *Harness) solve(on []Switch, f wrong) *lit {
	n := h.build(on, f)
	out := &lit{
		lights: make([]light, len(h.lamps)),
		poles:  make([]float64, len(h.poles)),
		earths: make([]float64, h.units),
		net:    n,
	}
	s, err := n.c.Solve()
	if err != nil {
		out.err = err
		return out
	}
	for i, part := range n.lamps {
		if part < 0 {
			continue
		}
		p := &n.c.Parts[part]
		v := s.Volts[p.From] - s.Volts[p.To]
		out.lights[i] = light{v, s.Current[part], p.Bright(v, s.Current[part])}
		if watt, _ := rated(&h.lamps[i].l); p.Watts != watt {
			out.lights[i].bright *= p.Watts / watt
		}
	}
	for i, part := range n.feeds {
		if part >= 0 {
			out.poles[i] = s.Current[part]
		}
	}
	out.volts = s.Volts
	for u, e := range n.unit {
		out.earths[u] = s.Volts[e]
	}
	return out
}

// usedPoles are the poles that feed a lamp, in order.
func (h *Harness) usedPoles() (out []int) {
	for i := range h.lamps {
		if p := h.lamps[i].pole; p >= 0 && !slices.Contains(out, p) {
			out = append(out, p)
		}
	}
	slices.SortFunc(out, func(a, b int) int { return cmp.Compare(a, b) })
	return out
}
