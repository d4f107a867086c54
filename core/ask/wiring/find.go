package wiring

import (
	"cmp"
	"math"
	"slices"

	"zygonos/core/lang/finding"
	"zygonos/core/lang/quantity"
	"zygonos/core/lang/said"
	"zygonos/core/sums/evidence"
	"zygonos/core/sums/parallel"
)

// Level is how bright a lamp looks.
type Level string

// The levels.
const (
	LevelOff    Level = "off"
	LevelDim    Level = "dim"
	LevelBright Level = "bright"
)

// Levels lists them.
var Levels = []Level{LevelOff, LevelDim, LevelBright}

// Limits of what an eye tells apart, share of the rated light (practice, C).
const (
	seenFrom  = 0.01
	brightest = 0.55
)

// levelOf is how bright a lamp looks.
func levelOf(bright float64) Level {
	switch {
	case bright < seenFrom:
		return LevelOff
	case bright < brightest:
		return LevelDim
	}
	return LevelBright
}

// Answer is what somebody saw or measured: a lamp under a switch, or the voltage from the earth of a lamp's
// unit to the car's earth under it. An empty answer was passed over.
type Answer struct {
	Switch Switch `json:"switch"`
	Lamp   string `json:"lamp"` // key
	Probe  bool   `json:"probe,omitempty"`
	Level  Level  `json:"level,omitempty"` // of a probe: off is zero volts, bright is volts
}

// Test is the next best thing to look at.
type Test struct {
	Switch Switch        `json:"switch"`
	Lamp   string        `json:"lamp"`
	Probe  bool          `json:"probe,omitempty"`
	Says   said.Sentence `json:"says"`
	Why    said.Sentence `json:"why,omitempty"`
}

// Suspect is a fault that explains what was seen, or several that nothing tells apart.
type Suspect struct {
	Says   []said.Sentence `json:"says"`
	Likely finding.Measure `json:"likely"` // share
	Do     said.Sentence   `json:"do"`
}

// Diagnosis is what the answers come to.
type Diagnosis struct {
	Suspects []Suspect     `json:"suspects"`
	Next     *Test         `json:"next,omitempty"`
	Settled  bool          `json:"settled"`
	Says     said.Sentence `json:"says"`
}

// Figures of the search (practice, C).
const (
	probeCost   = 3.0  // of a look's effort
	probeVolts  = 0.5  // from which an earth is bad
	sure        = 0.90 // of one suspect, and it is left
	worthBits   = 0.05 // of information, under which nothing more is asked
	mostSuspect = 4
)

// How likely an answer is where a fault predicts another.
const (
	right    = 0.90
	besideIt = 0.08 // dim for off or bright, and back
	farOff   = 0.02
	probed   = 0.95
)

// class are faults that nothing that can be seen or probed tells apart.
type class struct {
	faults []wrong
	prior  float64
	looks  []Level // by switch and lamp
	probes []bool  // volts, by switch and unit
}

// classes are what every single fault does under every switch that the plug has, simulated once.
func (h *Harness) classes() ([]class, []Switch) {
	if h.known == nil {
		h.known, h.on = h.simulate()
	}
	return h.known, h.on
}

func (h *Harness) simulate() ([]class, []Switch) {
	_, on := h.switches()
	var all []wrong
	var priors []float64
	for _, f := range h.Faults() {
		all, priors = append(all, wrong{f}), append(priors, f.Prior)
	}
	return h.classify(all, priors, on), on
}

// classify simulates what is wrong in each way and puts together what looks alike.
func (h *Harness) classify(all []wrong, priors []float64, on []Switch) (out []class) {
	look := func(f wrong) (c class, ok bool) {
		for _, s := range on {
			l := h.solve([]Switch{s}, f)
			if l.err != nil {
				return c, false
			}
			for i := range l.lights {
				c.looks = append(c.looks, levelOf(l.lights[i].bright))
			}
			for _, v := range l.earths {
				c.probes = append(c.probes, math.Abs(v) > probeVolts)
			}
		}
		return c, true
	}
	h.wires()
	found, did := make([]class, len(all)), make([]bool, len(all))
	parallel.Each(len(all), func(i int) { found[i], did[i] = look(all[i]) })
	for i, c := range found {
		if !did[i] {
			continue
		}
		same := slices.IndexFunc(out, func(o class) bool {
			return slices.Equal(o.looks, c.looks) && slices.Equal(o.probes, c.probes)
		})
		if same < 0 {
			c.faults, c.prior = []wrong{all[i]}, priors[i]
			out = append(out, c)
			continue
		}
		out[same].faults = append(out[same].faults, all[i])
		out[same].prior += priors[i]
	}
	return out
}

// pairOf single faults are paired: those that explain most.
const pairOf = 24

// pairs are two faults at once, of those single ones that explain most of the answers; asked for, all pairs
// together count as much as all single faults.
func (h *Harness) pairs(answers []Answer) []class {
	all, on := h.classes()
	fit := make([]float64, len(all))
	order := make([]int, len(all))
	for i := range all {
		order[i], fit[i] = i, 1
		for _, a := range answers {
			if h.odd(&a) { // what is as it should be speaks against no half of a pair
				fit[i] *= math.Max(0.1, h.fits(&all[i], on, &a))
			}
		}
		fit[i] *= math.Sqrt(all[i].prior)
	}
	slices.SortStableFunc(order, func(a, b int) int { return cmp.Compare(fit[b], fit[a]) })
	var two []wrong
	var priors []float64
	total, sum := 0.0, 0.0
	for i := range all {
		total += all[i].prior
	}
	for k, i := range order[:min(len(order), pairOf)] {
		for _, j := range order[k+1 : min(len(order), pairOf)] {
			a, b := all[i].faults[0][0], all[j].faults[0][0]
			two = append(two, wrong{a, b})
			priors = append(priors, all[i].prior*all[j].prior)
			sum += all[i].prior * all[j].prior
		}
	}
	for i := range priors {
		priors[i] *= total / sum
	}
	return h.classify(two, priors, on)
}

// odd reports whether an answer is another than a sound harness gives.
func (h *Harness) odd(a *Answer) bool {
	if h.sound == nil {
		c := h.classify([]wrong{nil}, []float64{1}, h.on)
		if len(c) == 0 {
			return true
		}
		h.sound = &c[0]
	}
	return h.fits(h.sound, h.on, a) < right
}

// Find says which faults explain the answers, the most likely first, and the next best thing to look at: that
// with the largest expected information for its effort.
func (h *Harness) Find(answers []Answer) *Diagnosis { return h.find(answers, false) }

// FindTwo looks for two faults at once as well, which takes some hundred simulations more.
func (h *Harness) FindTwo(answers []Answer) *Diagnosis { return h.find(answers, true) }

func (h *Harness) find(answers []Answer, two bool) *Diagnosis {
	all, on := h.classes()
	if two {
		all = append(slices.Clone(all), h.pairs(answers)...)
	}
	out := &Diagnosis{Suspects: []Suspect{}}
	if len(all) == 0 {
		out.Says = said.Say("No lamp is fed yet, so there is nothing to search.")
		return out
	}
	weight := make([]float64, len(all))
	for i := range all {
		weight[i] = all[i].prior
		for _, a := range answers {
			weight[i] *= h.fits(&all[i], on, &a)
		}
	}
	evidence.Normal(weight)
	order := make([]int, len(all))
	for i := range order {
		order[i] = i
	}
	slices.SortStableFunc(order, func(a, b int) int { return cmp.Compare(weight[b], weight[a]) })
	for _, i := range order[:min(len(order), mostSuspect)] {
		if weight[i] < 0.01 {
			break
		}
		s := Suspect{Likely: *finding.Exactly(quantity.KindShare, weight[i]), Do: h.todo(&all[i].faults[0][0])}
		for _, f := range all[i].faults {
			s.Says = append(s.Says, h.saysAll(f))
		}
		out.Suspects = append(out.Suspects, s)
	}
	out.Settled = weight[order[0]] >= sure
	if !out.Settled {
		out.Next = h.next(all, weight, on, answers)
		out.Settled = out.Next == nil && weight[order[0]] > 0.5
	}
	switch {
	case out.Settled:
		out.Says = append(said.Say("Most likely "), out.Suspects[0].Says[0]...)
		out.Says = append(out.Says, said.Say(".")...)
	case out.Next == nil:
		out.Says = said.Say("The lamps show no more than this: try the suspects in turn.")
	default:
		out.Says = said.Say("% faults could be the cause.", said.Count(count(weight)))
	}
	return out
}

// count are the suspects that are still worth a thought.
func count(weight []float64) (n int) {
	for _, w := range weight {
		if w > 0.02 {
			n++
		}
	}
	return max(1, n)
}

// fits is how likely an answer is with a class's fault.
func (h *Harness) fits(c *class, on []Switch, a *Answer) float64 {
	s := slices.Index(on, a.Switch)
	i := slices.IndexFunc(h.lamps, func(l lamp) bool { return l.id == a.Lamp })
	if s < 0 || i < 0 || a.Level == "" {
		return 1
	}
	if a.Probe {
		if c.probes[s*h.units+h.lamps[i].unit] == (a.Level != LevelOff) {
			return probed
		}
		return 1 - probed
	}
	got := c.looks[s*len(h.lamps)+i]
	switch {
	case got == a.Level:
		return right
	case got == LevelDim || a.Level == LevelDim:
		return besideIt
	}
	return farOff
}

// next is the question that tells most for its effort; nil where none tells anything.
func (h *Harness) next(all []class, weight []float64, on []Switch, answers []Answer) *Test {
	asked := map[Answer]bool{}
	for _, a := range answers {
		asked[Answer{Switch: a.Switch, Lamp: a.Lamp, Probe: a.Probe}] = true
	}
	var best *Test
	most := 0.0
	try := func(q Test, levels []Level, cost float64) {
		if asked[Answer{Switch: q.Switch, Lamp: q.Lamp, Probe: q.Probe}] {
			return
		}
		bits := evidence.Gain(weight, len(levels), func(k, i int) float64 {
			return h.fits(&all[i], on, &Answer{q.Switch, q.Lamp, q.Probe, levels[k]})
		})
		if bits > worthBits && bits/cost > most {
			most = bits / cost
			copied := q
			best = &copied
		}
	}
	seen := map[int]bool{}
	for _, s := range on {
		for i := range h.lamps {
			try(Test{Switch: s, Lamp: h.lamps[i].id}, Levels, 1)
		}
	}
	for _, s := range on {
		clear(seen)
		for i := range h.lamps {
			if u := h.lamps[i].unit; !seen[u] {
				seen[u] = true
				try(Test{Switch: s, Lamp: h.lamps[i].id, Probe: true}, []Level{LevelOff, LevelBright}, probeCost)
			}
		}
	}
	if best == nil {
		return nil
	}
	i := slices.IndexFunc(h.lamps, func(l lamp) bool { return l.id == best.Lamp })
	name := said.Name(h.called(i), "a lamp")
	if best.Probe {
		best.Says = said.Say(
			"Switch on "+switchWord[best.Switch]+". Put the meter between the earth of % and the car's earth: what does it show?",
			said.Name(h.unitName(h.lamps[i].unit), "a lamp"),
		)
		best.Why = said.Say("A good earth shows less than half a volt; a lost one shows volts.")
		return best
	}
	best.Says = said.Say("Switch on "+switchWord[best.Switch]+" alone. How is %?", name)
	return best
}

var switchWord = map[Switch]string{
	SwitchTail: "the tail lamps", SwitchLeft: "the left turn", SwitchRight: "the right turn", SwitchStop: "the brake",
	SwitchReverse: "reverse", SwitchFog: "the fog lamp",
}

// todo is what to do about a fault.
func (h *Harness) todo(f *Fault) said.Sentence {
	switch f.Kind {
	case FaultBulb:
		return said.Say("Try another bulb; then look for 12 V at its socket.")
	case FaultLampEarth, FaultPoorLampEarth:
		return said.Say(
			"Scrape the earth to bright metal, bolt it with a toothed washer and grease it; a wire of its own to the plug is better.",
		)
	case FaultEarth, FaultPoorEarth:
		return said.Say(
			"Clean the plug's earth pin and its bolt, and look for a broken wire where the cable bends.",
		)
	case FaultOpen, FaultPoor:
		return said.Say("Open the plug: a loose screw, green copper, a wire broken at the bend.")
	case FaultFuse:
		return said.Say(
			"Unplug the trailer and try a tester on the socket: if it stays dark, look for the car's fuse.",
		)
	case FaultCarEarth:
		return said.Say(
			"Try another trailer or a tester on the socket; then clean the socket's earth where it is bolted to the body.",
		)
	case FaultWrongBulb:
		return said.Say("Read the bulb's base: 21 W, not 5. A 21/5 W bulb can sit the wrong way round in a worn holder.")
	case FaultConverter:
		return said.Say("Look at the converter's 12 V and earth, then at what it is made for; try another.")
	case FaultShort:
		return said.Say(
			"Look where the cable is pinched, where it passes through steel, and in the plug for a loose strand.",
		)
	case FaultSwap:
		return said.Say("Open the plug and connect the wires by what they do, not by their colour.")
	}
	return said.Say("Dry the plug, spray it, and hang it with its opening down.")
}
