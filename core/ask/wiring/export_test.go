package wiring

import (
	"math"
	"slices"

	"zygonos/core/lang/quantity"
)

// Simulate is what a question shows with a fault.
func Simulate(h *Harness, f *Fault, q *Test) Answer { return Simulated(h, one(f), q) }

// one is a fault alone.
func one(f *Fault) wrong {
	if f == nil {
		return nil
	}
	return wrong{*f}
}

// Simulated is the same with several faults at once.
func Simulated(h *Harness, f []Fault, q *Test) Answer {
	l := h.solve([]Switch{q.Switch}, f)
	i := slices.IndexFunc(h.lamps, func(l lamp) bool { return l.id == q.Lamp })
	a := Answer{Switch: q.Switch, Lamp: q.Lamp, Probe: q.Probe, Level: levelOf(l.lights[i].bright)}
	if q.Probe {
		a.Level = LevelOff
		if math.Abs(l.earths[h.lamps[i].unit]) > probeVolts {
			a.Level = LevelBright
		}
	}
	return a
}

// Looks are all looks with a fault.
func Looks(h *Harness, f *Fault) (out []Answer) {
	_, on := h.switches()
	for _, s := range on {
		for i := range h.lamps {
			out = append(out, Simulate(h, f, &Test{Switch: s, Lamp: h.lamps[i].id}))
		}
	}
	return out
}

// Named is a fault in words.
func Named(h *Harness, f *Fault) string { return h.says(f).Text(quantity.Locale{}) }

// RankOf is the place of the suspect that holds a fault; −1 where none does.
func RankOf(h *Harness, d *Diagnosis, f *Fault) int {
	name := Named(h, f)
	for i, s := range d.Suspects {
		for _, says := range s.Says {
			if says.Text(quantity.Locale{}) == name {
				return i
			}
		}
	}
	return -1
}

// Cable is how long the cable with its branches is, m.
func Cable(h *Harness) float64 {
	ways, _ := h.wires().stretches()
	return sum(ways)
}

// Kinds are the classes of faults: how common each is, and what every question (looks, then probes) answers with
// it.
func Kinds(h *Harness) (priors []float64, answers [][]int, names []string) {
	all, _ := h.classes()
	for i := range all {
		c := &all[i]
		var a []int
		for _, l := range c.looks {
			switch l {
			case LevelOff:
				a = append(a, 0)
			case LevelDim:
				a = append(a, 1)
			default:
				a = append(a, 2)
			}
		}
		for _, p := range c.probes {
			n := 0
			if p {
				n = 1
			}
			a = append(a, n)
		}
		priors, answers = append(priors, c.prior), append(answers, a)
		names = append(names, h.saysAll(c.faults[0]).Text(quantity.Locale{}))
	}
	return priors, answers, names
}
