package frame

import (
	"math"
	"slices"

	"zygonos/core/lang/quantity"
	"zygonos/core/sums/frame3d"
)

// mixes are the cases in which one load may be at its most and another at its least: those whose forces are
// straight in every mass.
var mixes = map[string]bool{"bump": true, "brake": true}

// doubtShare is the part of all that is carried from which a mass is tried at its least; smaller doubts stay
// at their most.
const doubtShare = 0.01

// change is something of which it is not known how much of it there is: its solution for one unit, and the
// amounts at the ends of its range beside zero.
type change struct {
	of      *frame3d.Solution
	scale   float64 // of that solution
	amounts []float64
	now     float64        // amount that is tried
	here    frame3d.Inside // at the place that is looked at
}

// mixed raises what a case takes of each bar by the worst mix of what is not known: masses at their most and
// at their least, and loads as far forward, back and aside as their places allow. With all masses at their
// most the section forces are F; each change adds its own solution to them. The stress is convex in the
// amounts, so its greatest lies where each is at an end of its range: at both ends and in the middle of each
// element they are set one by one as long as that raises it.
func (m *model) mixed(c *loadCase, all []body, a *answer) {
	if !mixes[c.id] || a.lifted || a.solver == nil {
		return
	}
	m.shiftedOnce.Do(func() { m.shiftedBy = m.shifted(all, a) })
	changes := m.lighter(c, all, a)
	for _, ch := range m.shiftedBy {
		ch.scale = m.times(c)
		changes = append(changes, ch)
	}
	if len(changes) == 0 {
		return
	}
	for e := range m.pieces {
		p := &m.pieces[e]
		r := &m.bars[p.bar]
		whole := wholeOf(r)
		long := p.to - p.from
		for k := range mixPlaces {
			s := long * float64(k) / (mixPlaces - 1)
			a.uses[p.bar].raise(m.unkind(a, e, s, &whole, changes, a.uses[p.bar].share))
		}
		for i := range r.Cuts {
			c := &r.Cuts[i]
			net := leftOf(c)
			for _, at := range [3]float64{c.From, (c.From + c.To) / 2, c.To} {
				if at < p.from-1e-9 || at > p.to+1e-9 {
					continue
				}
				s := math.Max(0, math.Min(long, at-p.from))
				u := m.unkind(a, e, s, &net, changes, a.uses[p.bar].share)
				u.cut = true
				a.uses[p.bar].raise(u)
			}
		}
	}
	for i := range a.uses {
		if a.uses[i].share > a.uses[a.worst].share {
			a.worst = i
		}
	}
}

// mixPlaces are the places of an element at which mixes are tried.
const mixPlaces = 5

// unkind is the use of an element's place by the worst mix. The stress is a norm of the section forces once
// compression's χ is taken on pull too, so all changes together raise it by no more than the sum of what each
// takes alone: where even that stays under a use that is reached elsewhere, no mix is looked for.
func (m *model) unkind(a *answer, e int, s float64, l *left, changes []change, beaten float64) use {
	p := &m.pieces[e]
	now := a.s.At(e, s, false)
	best := m.stressed(p, l, &now, p.from+s)
	pushed := func(in frame3d.Inside) float64 {
		in.N = -math.Abs(in.N)
		return m.stressed(p, l, &in, p.from+s).share
	}
	most := pushed(now)
	for i := range changes {
		ch := &changes[i]
		ch.now, ch.here = 0, times(ch.of.At(e, s, false), ch.scale)
		far := 0.0
		for _, to := range ch.amounts {
			far = math.Max(far, math.Abs(to))
		}
		most += far * pushed(ch.here)
	}
	if most <= beaten && !l.open {
		return best
	}
	for again := true; again; {
		again = false
		for i := range changes {
			ch := &changes[i]
			d := &ch.here
			was := ch.now
			for _, to := range ch.amounts {
				if to == was {
					continue
				}
				next := plus(now, to-was, d)
				if u := m.stressed(p, l, &next, p.from+s); u.share > best.share*(1+1e-9) {
					best, ch.now, again = u, to, true
					best.mixed = true
				}
			}
			now = plus(now, ch.now-was, d)
		}
	}
	return best
}

// times are section forces so many times.
func times(in frame3d.Inside, by float64) frame3d.Inside {
	return plus(frame3d.Inside{At: in.At}, by, &in)
}

// plus are section forces with so much of others added.
func plus(in frame3d.Inside, by float64, d *frame3d.Inside) frame3d.Inside {
	in.N, in.Vy, in.Vz = in.N+by*d.N, in.Vy+by*d.Vy, in.Vz+by*d.Vz
	in.T, in.My, in.Mz = in.T+by*d.T, in.My+by*d.My, in.Mz+by*d.Mz
	return in
}

// lighter are the masses that may be less than their most.
func (m *model) lighter(c *loadCase, all []body, a *answer) (out []change) {
	sum := 0.0
	for i := range all {
		sum += all[i].mass.High
	}
	for i := range all {
		span := all[i].mass.High - all[i].mass.Low
		if !(span > doubtShare*sum) {
			continue
		}
		one := all[i]
		one.mass = quantity.Exactly(span)
		l := m.alone()
		if c.load(l, []body{one}, true) {
			out = append(out, change{of: a.solver.Solve(l.c), scale: 1, amounts: []float64{0, -1}})
		}
	}
	return out
}

// alone loads what is not the frame itself.
func (m *model) alone() *loader {
	return &loader{model: m, c: &frame3d.Case{}, alone: true}
}

// placeDoubt is the change of ball or wheel from which the places' doubt is looked at, kg.
const placeDoubt = 1.0

// shifted are the loads as far from where they are taken as their places' doubts move the ball load and the
// wheels: by d kg with all masses as they are likely, so all together by d·L/Σm along and d·track/Σm across;
// under their weight once.
func (m *model) shifted(all []body, a *answer) (out []change) {
	r := m.r
	beam := r.Beam
	beam.Terms = slices.Clone(beam.Terms)
	for i := range beam.Terms {
		beam.Terms[i].Amount = quantity.Exactly(beam.Terms[i].Amount.Nominal)
	}
	if beam.Track <= 0 {
		beam.Track = r.WheelTrack()
	}
	bears, ok := beam.Solve()
	if !ok {
		return nil
	}
	sum := 0.0
	for i := range all {
		if len(all[i].feet) > 0 {
			sum += all[i].mass.Nominal
		}
	}
	if !(sum > 0) {
		return nil
	}
	// every load with feet moved one metre: each is pushed by its weight times that metre
	push := func(to vec) *frame3d.Solution {
		l := m.alone()
		for i := range all {
			o := &all[i]
			if len(o.feet) == 0 {
				continue
			}
			force := -quantity.Gravity * o.mass.Nominal
			for k, w := range shares(o.feet, 0, 0, 0, force*to.X, force*to.Y) {
				l.press(o.feet[k], vec{Z: w})
			}
		}
		return a.solver.Solve(l.c)
	}
	add := func(of func() *frame3d.Solution, low, high, lever float64) {
		if low < -placeDoubt || high > placeDoubt {
			out = append(out, change{of: of(), amounts: []float64{0, low * lever / sum, high * lever / sum}})
		}
	}
	// forward is away from +x: more on the ball
	add(func() *frame3d.Solution { return push(vec{X: -1}) },
		bears.Ball.Low-bears.Ball.Nominal, bears.Ball.High-bears.Ball.Nominal, r.Axle.Nominal)
	if bears.Right != nil {
		add(
			func() *frame3d.Solution { return push(vec{Y: 1}) },
			bears.Right.Low-bears.Right.Nominal,
			bears.Right.High-bears.Right.Nominal,
			beam.Track,
		)
	}
	return out
}

// times is how many times its weight a case pushes a mass down.
func (m *model) times(c *loadCase) float64 {
	if c.id == "bump" {
		return m.r.Shock()
	}
	return 1
}
