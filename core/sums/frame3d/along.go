package frame3d

import (
	"math"
	"slices"

	"gonum.org/v1/gonum/spatial/r3"
)

// Inside is what a member bears at a place, in its own axes: N pulls, the rest as it acts on the face
// that looks to its To end.
type Inside struct {
	At     float64 // m behind its From end
	N      float64 // N, + in tension
	Vy, Vz float64 // N
	T      float64 // N·m
	My, Mz float64 // N·m
}

// At is what a member bears just behind a place (after: with a point load that acts there).
func (o *Solution) At(member int, at float64, after bool) Inside {
	f := &o.Ends[member]
	force := Vec{X: f[0], Y: f[1], Z: f[2]}
	// moments about the place: of the forces at the From end, a lever of −at along x
	moment := r3.Add(Vec{X: f[3], Y: f[4], Z: f[5]}, r3.Cross(Vec{X: -at}, force))
	add := func(s float64, p, m Vec) {
		force = r3.Add(force, p)
		moment = r3.Add(moment, r3.Add(m, r3.Cross(Vec{X: s - at}, p)))
	}
	for i := range o.points[member] {
		if p := &o.points[member][i]; p.at < at-1e-9 || after && p.at <= at+1e-9 {
			add(p.at, p.p, p.m)
		}
	}
	for i := range o.lines[member] {
		l := &o.lines[member][i]
		long := min(l.b, at) - l.a
		if !(long > 0) {
			continue
		}
		// what of it lies before the place, ∫p·ds and ∫p·(s − a)·ds: p rises evenly from pa
		rise := r3.Scale(long/(l.b-l.a), r3.Sub(l.pb, l.pa))
		sum := r3.Scale(long, r3.Add(l.pa, r3.Scale(0.5, rise)))
		turn := r3.Scale(long*long, r3.Add(r3.Scale(1.0/2, l.pa), r3.Scale(1.0/3, rise)))
		add(l.a, sum, r3.Cross(Vec{X: 1}, turn))
	}
	return Inside{at, -force.X, -force.Y, -force.Z, -moment.X, -moment.Y, -moment.Z}
}

// Buffer is room for what Along finds, to be used again and again; the zero Buffer is ready.
type Buffer struct {
	at  []float64
	ins []Inside
}

// Stations are the places of a member where something may be greatest: its ends, where loads begin
// and end, and evenly between.
func (o *Solution) Stations(member int) []float64 { return o.stations(nil, member) }

func (o *Solution) stations(out []float64, member int) []float64 {
	l := o.s.els[member].l
	out = append(out, 0, l/4, l/2, 3*l/4, l)
	for i := range o.points[member] {
		out = append(out, o.points[member][i].at)
	}
	for i := range o.lines[member] {
		out = append(out, o.lines[member][i].a, o.lines[member][i].b)
	}
	slices.Sort(out)
	return slices.Compact(out)
}

// Along is what a member bears at its stations, before and behind each point load.
func (o *Solution) Along(member int) []Inside { return o.AlongIn(&Buffer{}, member) }

// AlongIn is Along in room that is there already: what it gives holds until the buffer is used again.
func (o *Solution) AlongIn(b *Buffer, member int) []Inside {
	b.at, b.ins = o.stations(b.at[:0], member), b.ins[:0]
	points := len(o.points[member]) > 0
	for _, s := range b.at {
		before := o.At(member, s, false)
		b.ins = append(b.ins, before)
		if !points { // nothing jumps
			continue
		}
		if behind := o.At(member, s, true); behind != before && s < o.s.els[member].l-1e-9 {
			b.ins = append(b.ins, behind)
		}
	}
	return b.ins
}

// Length of a member between its own ends, m.
func (o *Solution) Length(member int) float64 { return o.s.els[member].l }

// Strain is the energy that a member holds, by what strains it, J.
type Strain struct{ Pull, BendY, BendZ, Twist, Ends float64 }

// Sum is all of it.
func (s Strain) Sum() float64 { return s.Pull + s.BendY + s.BendZ + s.Twist + s.Ends }

// Energy is what a member holds by being strained: ½∫(N²/EA + My²/EIy + Mz²/EIz + T²/GIt)dx by Simpson's
// rule over sagSteps, and ½f²/S of its sprung ends.
func (o *Solution) Energy(member int) (u Strain) {
	e := &o.s.els[member]
	m := e.m
	for i := range sagSteps + 1 {
		in := o.At(member, e.l*float64(i)/sagSteps, false)
		w := simpson(i) * e.l / sagSteps / 6
		u.Pull += w * in.N * in.N / (m.E * m.Area)
		u.BendY += w * in.My * in.My / (m.E * m.Iy)
		u.BendZ += w * in.Mz * in.Mz / (m.E * m.Iz)
		u.Twist += w * in.T * in.T / (m.G * m.It)
	}
	for _, r := range e.loose {
		if k := e.spring(r); k > 0 {
			u.Ends += o.Ends[member][r] * o.Ends[member][r] / k / 2
		}
	}
	return u
}

// simpson is the weight of a place.
func simpson(i int) float64 {
	switch {
	case i == 0 || i == sagSteps:
		return 1
	case i%2 == 1:
		return 4
	}
	return 2
}

// sagSteps of Simpson's rule; even.
const sagSteps = 16

// Sag is how far the member's middle stands off the straight line between its ends, own y and z, m:
// ∫M·m/EI with m of a unit load there.
func (o *Solution) Sag(member int) (y, z float64) {
	e := &o.s.els[member]
	l := e.l
	for i := range sagSteps + 1 {
		w := simpson(i)
		s := l * float64(i) / sagSteps
		m := math.Min(s, l-s) / 2
		in := o.At(member, s, false)
		w *= l / sagSteps / 3 * m
		y -= w * in.Mz / (e.m.E * e.m.Iz)
		z += w * in.My / (e.m.E * e.m.Iy)
	}
	return y, z
}
