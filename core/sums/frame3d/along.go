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
	e := o.s.els[member]
	f := &o.Ends[member]
	force := Vec{X: f[0], Y: f[1], Z: f[2]}
	// moments about the place: of the forces at the From end, a lever of −at along x
	moment := r3.Add(Vec{X: f[3], Y: f[4], Z: f[5]}, r3.Cross(Vec{X: -at}, force))
	add := func(s float64, p, m Vec) {
		force = r3.Add(force, p)
		moment = r3.Add(moment, r3.Add(m, r3.Cross(Vec{X: s - at}, p)))
	}
	for i := range o.c.Points {
		p := &o.c.Points[i]
		s := math.Max(0, math.Min(e.l, p.At))
		if p.Member == member && (s < at-1e-9 || after && s <= at+1e-9) {
			add(s, into(e.axes, p.Force), into(e.axes, p.Moment))
		}
	}
	for i := range o.c.Lines {
		l := &o.c.Lines[i]
		if l.Member != member {
			continue
		}
		a, b := math.Max(0, l.A), math.Min(math.Min(e.l, l.B), at)
		if !(b > a) {
			continue
		}
		for _, g := range gauss {
			s := a + g[0]*(b-a)
			add(s, r3.Scale(g[1]*(b-a), into(e.axes, l.at(s))), Vec{})
		}
	}
	return Inside{at, -force.X, -force.Y, -force.Z, -moment.X, -moment.Y, -moment.Z}
}

// Stations are the places of a member where something may be greatest: its ends, where loads begin
// and end, and evenly between.
func (o *Solution) Stations(member int) []float64 {
	l := o.s.els[member].l
	out := []float64{0, l / 4, l / 2, 3 * l / 4, l}
	for i := range o.c.Points {
		if p := &o.c.Points[i]; p.Member == member {
			out = append(out, math.Max(0, math.Min(l, p.At)))
		}
	}
	for i := range o.c.Lines {
		if p := &o.c.Lines[i]; p.Member == member {
			out = append(out, math.Max(0, math.Min(l, p.A)), math.Max(0, math.Min(l, p.B)))
		}
	}
	slices.Sort(out)
	return slices.Compact(out)
}

// Along is what a member bears at its stations, before and behind each point load.
func (o *Solution) Along(member int) []Inside {
	var out []Inside
	for _, s := range o.Stations(member) {
		before := o.At(member, s, false)
		out = append(out, before)
		if behind := o.At(member, s, true); behind != before && s < o.s.els[member].l-1e-9 {
			out = append(out, behind)
		}
	}
	return out
}

// Length of a member between its own ends, m.
func (o *Solution) Length(member int) float64 { return o.s.els[member].l }

// sagSteps of Simpson's rule; even.
const sagSteps = 16

// Sag is how far the member's middle stands off the straight line between its ends, own y and z, m:
// ∫M·m/EI with m of a unit load there.
func (o *Solution) Sag(member int) (y, z float64) {
	e := o.s.els[member]
	l := e.l
	for i := range sagSteps + 1 {
		w := 2.0
		switch {
		case i == 0 || i == sagSteps:
			w = 1
		case i%2 == 1:
			w = 4
		}
		s := l * float64(i) / sagSteps
		m := math.Min(s, l-s) / 2
		in := o.At(member, s, false)
		w *= l / sagSteps / 3 * m
		y -= w * in.Mz / (e.m.E * e.m.Iz)
		z += w * in.My / (e.m.E * e.m.Iy)
	}
	return y, z
}
