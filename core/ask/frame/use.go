package frame

import (
	"math"
	"slices"

	"gonum.org/v1/gonum/spatial/r3"

	"zygonos/core/lang/said"
	"zygonos/core/parts"
	"zygonos/core/sums/frame3d"
	"zygonos/core/sums/section"
)

// use is how much of a bar's strength a case takes at its worst place.
type use struct {
	share                        float64 // 1 is all that it is used to
	at                           float64 // m from the bar's beginning
	stress                       float64 // Pa, as one figure
	axial, bend, sideways, twist float64 // Pa, what it is made of
	open                         float64 // share that torsion takes of an open section
	cut                          bool    // where something is cut away
	mixed                        bool    // with one load at its most and another at its least
}

// answer is how the frame answers a case.
type answer struct {
	name   said.Sentence
	id     string
	uses   []use // of each bar
	worst  int   // bar
	s      *frame3d.Solution
	c      *frame3d.Case
	lifted bool // a wheel stands off the ground

	solver *frame3d.Solver // on the supports that it stands on
	err    error
}

// solve answers a case; all masses as they are most likely, or at their most.
func (m *model) solve(c *loadCase, all []body, high bool) (*answer, bool) {
	a := &answer{name: c.name, id: c.id}
	l := &loader{model: m, c: &frame3d.Case{}}
	ok := c.load(l, all, high)
	a.c = l.c
	supports, solver := m.m.Supports, m.solver
	if c.stand != nil {
		if supports = c.stand(m); supports == nil {
			return nil, ok
		}
		if solver, a.err = m.solver.On(supports); a.err != nil {
			return a, ok
		}
	} else if a.err = solver.Factorise(); a.err != nil {
		return a, ok
	}
	for range 4 { // a wheel bears and does not pull: one that would is off the ground
		a.s = solver.Solve(l.c)
		rest := m.rising(supports, a.s)
		if rest == nil {
			break
		}
		next, err := m.solver.On(rest)
		if err != nil { // it would fall over: the case says so elsewhere
			break
		}
		supports, solver, a.lifted = rest, next, true
	}
	a.solver = solver
	a.uses = make([]use, len(m.bars))
	for e := range m.pieces {
		a.uses[m.pieces[e].bar].raise(m.used(a.s, e, &l.room))
	}
	for i := range a.uses {
		if a.uses[i].share > a.uses[a.worst].share {
			a.worst = i
		}
	}
	return a, ok
}

// rising are the supports without the wheels that would have to pull; nil where none would.
func (m *model) rising(on []frame3d.Support, s *frame3d.Solution) (out []frame3d.Support) {
	for _, w := range m.wheels {
		for _, i := range w {
			if on[i].Held[frame3d.Z] && s.Reactions[i][frame3d.Z] < -1 {
				if out == nil {
					out = slices.Clone(on)
				}
				out[i].Held[frame3d.Z] = false
			}
		}
	}
	return out
}

// used is how much of a bar's strength an element takes at its worst place:
//
//	σ = N/(χ·A) + My/(χ_LT·Wy) + Mz/Wz,   τ = T/Wt + 2V/A,   √(σ² + 3τ²) against the working stress
//
// with χ for compression alone and χ_LT for open sections and flats on edge; where something is cut away,
// with what is left, and N off its centre: My + |N·z|, Mz + |N·y|.
func (m *model) used(s *frame3d.Solution, e int, room *frame3d.Buffer) (worst use) {
	p := &m.pieces[e]
	r := &m.bars[p.bar]
	whole := wholeOf(r)
	for _, in := range s.AlongIn(room, e) {
		worst.raise(m.stressed(p, &whole, &in, p.from+in.At))
		for i := range r.Cuts { // within a cut only what is left bears
			if c := &r.Cuts[i]; p.from+in.At >= c.From-1e-9 && p.from+in.At <= c.To+1e-9 {
				net := leftOf(c)
				u := m.stressed(p, &net, &in, p.from+in.At)
				u.cut = true
				worst.raise(u)
			}
		}
	}
	for i := range r.Cuts {
		c := &r.Cuts[i]
		net := leftOf(c)
		for _, at := range [3]float64{c.From, (c.From + c.To) / 2, c.To} {
			if at < p.from-1e-9 || at > p.to+1e-9 {
				continue
			}
			for _, after := range [2]bool{false, true} {
				in := s.At(e, math.Max(0, at-p.from), after)
				u := m.stressed(p, &net, &in, at)
				u.cut = true
				worst.raise(u)
			}
		}
	}
	return worst
}

// left is what of a bar's section bears at a place, and how far its centre lies off the whole one's, m.
type left struct {
	wy, wz, wt, area, y, z float64
	open                   bool
}

// wholeOf is a bar's whole section.
func wholeOf(r *parts.FrameBar) left {
	l := left{wy: r.Section.Wy, wz: r.Section.Wz, wt: r.Twist.Wt, area: r.Section.Area, open: r.Twist.Open}
	if r.Section.FreeBendsAside {
		l.wy, l.wz = r.Section.WMinor, r.Section.WMinor
	}
	return l
}

// leftOf is what a cut leaves.
func leftOf(c *parts.BarCut) left {
	l := left{
		wy: c.Net.Wy, wz: c.Net.Wz, wt: c.Twist.Wt, area: c.Net.Area, y: math.Abs(c.Y), z: math.Abs(c.Z),
		open: c.Twist.Open,
	}
	if c.Net.FreeBendsAside {
		l.wy, l.wz = c.Net.WMinor, c.Net.WMinor
	}
	return l
}

// raise keeps the greater use, and the greater torsion of an open section.
func (u *use) raise(v use) {
	open := math.Max(u.open, v.open)
	if v.share > u.share {
		*u = v
	}
	u.open = open
}

// stressed is the use at one place.
func (m *model) stressed(p *piece, l *left, in *frame3d.Inside, at float64) (u use) {
	allowed := m.allowed(p.bar, at)
	u.at = at
	u.axial = math.Abs(in.N) / l.area
	if in.N < 0 {
		u.axial /= p.chi
	}
	u.bend = (math.Abs(in.My) + math.Abs(in.N)*l.z) / l.wy / p.chiLT
	u.sideways = (math.Abs(in.Mz) + math.Abs(in.N)*l.y) / l.wz
	u.twist = math.Abs(in.T) / l.wt
	tau := u.twist + 2*math.Sqrt(in.Vy*in.Vy+in.Vz*in.Vz)/l.area
	sigma := u.axial + u.bend + u.sideways
	u.stress = math.Sqrt(sigma*sigma + 3*tau*tau)
	u.share = u.stress / allowed
	if l.open {
		u.open = math.Sqrt(3) * u.twist / allowed
	}
	return u
}

// allowed is the stress that a bar is used to at most at a place, Pa: beside a weld what it leaves.
func (m *model) allowed(bar int, at float64) float64 {
	w := &m.work[bar]
	if w.weld > 0 && w.weld < 1 {
		for _, p := range m.places[bar] {
			if p.weld && math.Abs(p.at-at) <= weldZone {
				return w.stress * w.weld
			}
		}
	}
	return w.stress
}

// working is what a bar is used to at most, Pa, and the share of it that a weld leaves.
type working struct{ stress, weld float64 }

func workingOf(r *parts.FrameBar) working {
	stock := r.Stock.InTheSun()
	return working{stock.Working(), stock.Weld}
}

// weldZone is how far a weld softens aluminium (EN 1999-1-1, 6.1.6.3: 25 to 30 mm), m.
const weldZone = 0.030

// buckles is χ of EN 1993-1-1, 6.3.1.2 with curve c: Φ = (1 + α(λ̄ − 0.2) + λ̄²)/2, χ = 1/(Φ + √(Φ² − λ̄²)),
// α 0.49; the length is that between joints.
func buckles(r *parts.FrameBar, length float64) float64 {
	i := math.Sqrt(math.Min(r.Section.Minor, math.Min(r.Section.Iy, r.Section.Iz)) / r.Section.Area)
	slender := length / i / (math.Pi * math.Sqrt(r.Stock.Modulus/r.Stock.Yield))
	return reduced(slender, 0.49)
}

// tips is χ_LT of 6.3.2.2 with curve d (α 0.76) for what can tip sideways under bending: open sections and
// flats on edge. M_cr = π/L·√(E·Iz·G·It), warping left out.
func tips(r *parts.FrameBar, length float64) float64 {
	shape := section.Shape(r.Member.Profile.Shape)
	flat := shape == section.Bar && r.Section.Iy > 2*r.Section.Iz
	if !r.Twist.Open && !flat {
		return 1
	}
	critical := math.Pi / length * math.Sqrt(r.Stock.Modulus*r.Section.Minor*shear(r)*r.Twist.It)
	return reduced(math.Sqrt(r.Section.Wy*r.Stock.Yield/critical), 0.76)
}

func reduced(slender, alpha float64) float64 {
	if slender <= 0.2 {
		return 1
	}
	phi := (1 + alpha*(slender-0.2) + slender*slender) / 2
	return math.Min(1, 1/(phi+math.Sqrt(phi*phi-slender*slender)))
}

// sag is how far a bar bends off the line between its ends, m, downward and upward alike, at its joints and
// midway between them.
func (m *model) sag(s *frame3d.Solution, bar int) float64 {
	r := &m.bars[bar]
	var ends [2]vec
	for _, p := range m.places[bar] {
		if p.at < 1e-9 {
			ends[0] = m.shift(s, r, p)
		}
		if p.at > r.Length-1e-9 {
			ends[1] = m.shift(s, r, p)
		}
	}
	off := func(at float64, by vec) float64 {
		line := r3.Add(r3.Scale(1-at/r.Length, ends[0]), r3.Scale(at/r.Length, ends[1]))
		d := r3.Sub(by, line)
		d = r3.Sub(d, r3.Scale(r3.Dot(d, r.Axes[0]), r.Axes[0])) // across the bar
		return r3.Norm(d)
	}
	most := 0.0
	for _, p := range m.places[bar] {
		most = math.Max(most, off(p.at, m.shift(s, r, p)))
	}
	for e, p := range m.pieces {
		if p.bar != bar {
			continue
		}
		_, z := s.Sag(e)
		a, b := m.placeAt(bar, p.from), m.placeAt(bar, p.to)
		mid := r3.Add(r3.Scale(0.5, r3.Add(m.shift(s, r, a), m.shift(s, r, b))), r3.Scale(z, r.Axes[2]))
		most = math.Max(most, off((p.from+p.to)/2, mid))
	}
	return most
}

func (m *model) placeAt(bar int, at float64) place {
	for _, p := range m.places[bar] {
		if math.Abs(p.at-at) < 1e-9 {
			return p
		}
	}
	return m.places[bar][0]
}

// shift is how far a bar's own middle moves at a place: its node's shift and θ × arm.
func (m *model) shift(s *frame3d.Solution, r *parts.FrameBar, p place) vec {
	d := s.Moved[p.node]
	arm := r3.Sub(r.At(p.at), m.m.Nodes[p.node])
	return r3.Add(vec{X: d[0], Y: d[1], Z: d[2]}, r3.Cross(vec{X: d[3], Y: d[4], Z: d[5]}, arm))
}
