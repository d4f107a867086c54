package frame

import (
	"zygonos/core/sums/frame3d"
)

// mixes are the cases in which one load may be at its most and another at its least: those whose forces are
// straight in every mass.
var mixes = map[string]bool{"bump": true, "brake": true}

// doubtShare is the part of all that is carried from which a mass is tried at its least; smaller doubts stay
// at their most.
const doubtShare = 0.01

// mixed raises what a case takes of each bar by the worst mix of masses at their most and at their least.
// With all at their most the section forces are F; a body at its least takes ΔF_b off them, by a solution of
// its own. The stress is convex in them, so its greatest lies where every mass is at one end of its range: at
// both ends and in the middle of each element bodies are set to their least, one by one, as long as that
// raises it.
func (m *model) mixed(c *loadCase, all []body, a *answer) {
	if !mixes[c.id] || a.lifted || a.solver == nil {
		return
	}
	sum := 0.0
	for i := range all {
		sum += all[i].mass.High
	}
	var less []*frame3d.Solution
	for i := range all {
		span := all[i].mass.High - all[i].mass.Low
		if !(span > doubtShare*sum) {
			continue
		}
		one := all[i]
		one.mass.Nominal, one.mass.Low, one.mass.High = span, span, span
		l := &loader{model: m, c: &frame3d.Case{}, alone: true, cross: a.cross, along: a.along}
		if c.load(l, []body{one}, true) {
			less = append(less, a.solver.Solve(l.c))
		}
	}
	if len(less) == 0 {
		return
	}
	light := make([]bool, len(less))
	for e := range m.pieces {
		p := &m.pieces[e]
		whole := wholeOf(&m.bars[p.bar])
		for _, s := range [3]float64{0, (p.to - p.from) / 2, p.to - p.from} {
			now := a.s.At(e, s, false)
			best := m.stressed(p, &whole, &now, p.from+s)
			clear(light)
			for again := true; again; {
				again = false
				for b, of := range less {
					sign := -1.0
					if light[b] {
						sign = 1
					}
					d := of.At(e, s, false)
					next := now
					next.N, next.Vy, next.Vz = now.N+sign*d.N, now.Vy+sign*d.Vy, now.Vz+sign*d.Vz
					next.T, next.My, next.Mz = now.T+sign*d.T, now.My+sign*d.My, now.Mz+sign*d.Mz
					if u := m.stressed(p, &whole, &next, p.from+s); u.share > best.share*(1+1e-9) {
						best, now, light[b], again = u, next, !light[b], true
					}
				}
			}
			best.mixed = anyOf(light)
			a.uses[p.bar].raise(best)
		}
	}
	for i := range a.uses {
		if a.uses[i].share > a.uses[a.worst].share {
			a.worst = i
		}
	}
}

func anyOf(of []bool) bool {
	for _, v := range of {
		if v {
			return true
		}
	}
	return false
}
