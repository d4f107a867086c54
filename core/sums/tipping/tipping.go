// Package tipping is the mechanics of a bed that turns about a hinge: how long line or cylinder is at every angle,
// what it takes to hold the bed there, and what hinge and mast bear. Formulas: docs/method/tip.md.
package tipping

import (
	"errors"
	"math"
)

// Gravity is g, m/s².
const Gravity = 9.80665

// Vec is a place or a force in the side view: X to the rear, Z up; m or N.
type Vec struct{ X, Z float64 }

func (a Vec) plus(b Vec) Vec          { return Vec{a.X + b.X, a.Z + b.Z} }
func (a Vec) minus(b Vec) Vec         { return Vec{a.X - b.X, a.Z - b.Z} }
func (a Vec) times(k float64) Vec     { return Vec{k * a.X, k * a.Z} }
func (a Vec) dot(b Vec) float64       { return a.X*b.X + a.Z*b.Z }
func (a Vec) norm() float64           { return math.Hypot(a.X, a.Z) }
func (a Vec) cross(b Vec) float64     { return a.X*b.Z - a.Z*b.X }
func (a Vec) to(b Vec) (Vec, float64) { d := b.minus(a); n := d.norm(); return d.times(1 / n), n }

// near is how far apart two places are at least, m.
const near = 1e-6

// swing is how a place at r from a hinge moves as the bed's front comes up by one radian: (r.Z, −r.X).
func swing(r Vec) Vec { return Vec{r.Z, -r.X} }

// Turned is r after the bed's front has come up by an angle, rad.
func Turned(r Vec, angle float64) Vec {
	s, c := math.Sincos(angle)
	return Vec{r.X*c + r.Z*s, r.Z*c - r.X*s}
}

// Kind says what raises the bed.
type Kind int

// The kinds.
const (
	Line     Kind = iota // from a fixed place, mast or roller, to the bed: it pulls
	Swing                // the line pulls the top of a mast that turns about its foot; a strap goes on from there to the bed
	Cylinder             // from the frame to the bed: it pushes
	Lever                // it pushes a lever that turns about its foot; a link goes on from there to the bed
	Hand                 // square to the bed
)

// Gear is what raises a bed, all places as they are with the bed down.
type Gear struct {
	Kind  Kind
	Hinge Vec
	Pick  Vec // on the bed: where line, cylinder, strap or link is fixed, or hands lift
	Top   Vec // of a fixed mast, or of the mast or lever that turns
	Foot  Vec // of the cylinder; or about which mast or lever turns
	Drum  Vec // from which the line pulls a turning mast; the cylinder's foot of a lever
	Knee  Vec // of a lever: where its cylinder is fixed

	Struts []Strut // that help
}

// Strut is a gas strut from the frame to the bed.
type Strut struct {
	Foot, Pick   Vec     // on the frame and on the bed, this with the bed down
	Push         float64 // open, N
	Rise         float64 // closed, times as much (1.2 to 1.4 are usual)
	Closed, Open float64 // between its eyes, m
}

// At is what a strut pushes with and its arm about the hinge, as a cylinder's, with the bed's front up by an angle; the
// push grows evenly from open to closed: F·(1 + (k − 1)·(L_o − L)/(L_o − L_c)).
func (st *Strut) At(hinge Vec, angle float64) (long, push, arm float64, dir Vec) {
	r := Turned(st.Pick.minus(hinge), angle)
	dir, long = st.Foot.to(hinge.plus(r))
	if !(long > near) {
		return long, 0, 0, Vec{}
	}
	push = st.Push
	if st.Open > st.Closed && st.Rise > 1 {
		push *= 1 + (st.Rise-1)*math.Max(0, math.Min(1, (st.Open-long)/(st.Open-st.Closed)))
	}
	return long, push, dir.dot(swing(r)), dir
}

// Errors of gear that does not work.
var (
	ErrReach = errors.New("mast, strap or lever do not reach at that angle")
	ErrPlace = errors.New("two places are one, or a place is no number")
)

// State is gear at an angle.
type State struct {
	Angle float64
	Long  float64 // of the line between its last two places, or of the cylinder, m
	Arm   float64 // by how much that gets shorter (a line) or longer (a cylinder) a radian, m
	Pick  Vec
	Top   Vec // mast or lever
	Knee  Vec
	Push  Vec     // unit vector of the force on the bed
	Lift  float64 // arm of that force about the hinge, m
}

// At is the gear with the bed's front up by an angle, rad. The arm is dL/dθ by the places' velocities; with mast and
// lever the top T turns about its foot A by ψ' = (T − P)·Jr / (T − P)·Jq a radian of the bed, J as the bed turns, so
// that strap or link keeps its length. Errors: ErrPlace, ErrReach.
func (g *Gear) At(angle float64) (s State, err error) {
	r := Turned(g.Pick.minus(g.Hinge), angle)
	s = State{Angle: angle, Pick: g.Hinge.plus(r), Top: g.Top, Knee: g.Knee}
	v := swing(r) // of the pick
	switch g.Kind {
	case Hand:
		n := r.norm()
		if !(n > near) {
			return s, ErrPlace
		}
		s.Push, s.Lift, s.Arm = v.times(1/n), n, n
	case Line:
		u, long := s.Pick.to(g.Top)
		if !(long > near) {
			return s, ErrPlace
		}
		s.Long, s.Push = long, u
		s.Lift = u.dot(v)
		s.Arm = s.Lift
	case Cylinder:
		u, long := g.Foot.to(s.Pick)
		if !(long > near) {
			return s, ErrPlace
		}
		s.Long, s.Push = long, u
		s.Lift = u.dot(v)
		s.Arm = s.Lift
	default:
		err = g.linked(&s, v)
	}
	if err == nil && !(finite(s.Long) && finite(s.Arm) && finite(s.Lift)) {
		err = ErrPlace
	}
	return s, err
}

func finite(v float64) bool { return !math.IsNaN(v) && !math.IsInf(v, 0) }

// linked places a turning mast or a lever, and what pulls or pushes it.
func (g *Gear) linked(s *State, v Vec) error {
	q0 := g.Top.minus(g.Foot)
	m, strap := q0.norm(), g.Top.minus(g.Pick).norm()
	if !(m > near) || !(strap > near) {
		return ErrPlace
	}
	side := math.Copysign(1, g.Pick.minus(g.Foot).cross(q0)) // the top stays on its side of foot and pick
	u, d := g.Foot.to(s.Pick)
	along := (m*m - strap*strap + d*d) / (2 * d)
	off := m*m - along*along
	if !(d > 0) || !(off >= 0) {
		return ErrReach
	}
	h := side * math.Sqrt(off)
	q := Vec{u.X*along - u.Z*h, u.Z*along + u.X*h}
	s.Top = g.Foot.plus(q)
	t := s.Top.minus(s.Pick)
	over := t.dot(swing(q))
	if math.Abs(over) < 1e-12 { // mast and strap in one line
		return ErrReach
	}
	turn := t.dot(v) / over // of the mast a radian of the bed
	s.Push = t.times(1 / strap)
	if g.Kind == Lever {
		s.Push = s.Push.times(-1)
	}
	s.Lift = s.Push.dot(v)
	switch g.Kind {
	case Swing:
		w, long := s.Top.to(g.Drum)
		if !(long > near) {
			return ErrPlace
		}
		s.Long, s.Arm = long, w.dot(swing(q))*turn
	case Lever:
		k0 := g.Knee.minus(g.Foot)
		if !(k0.norm() > near) {
			return ErrPlace
		}
		// the knee turns with the lever: by as much as its top has
		a := math.Atan2(q0.cross(q), q0.dot(q))
		sn, cs := math.Sincos(a)
		k := Vec{k0.X*cs - k0.Z*sn, k0.X*sn + k0.Z*cs}
		s.Knee = g.Foot.plus(k)
		w, long := g.Drum.to(s.Knee)
		if !(long > near) {
			return ErrPlace
		}
		s.Long, s.Arm = long, w.dot(swing(k))*turn
	}
	return nil
}

// Weight is what turns with the bed.
type Weight struct {
	Kg     float64
	Centre Vec // with the bed down
}

// Moment is what holds the bed down about its hinge, N·m: −g·Σm·r.X(θ) − ΣF·arm of the struts, r from the hinge; less
// than zero where it rises or runs over by itself.
func (g *Gear) Moment(ws []Weight, angle float64) (m float64) {
	for _, w := range ws {
		m -= Gravity * w.Kg * Turned(w.Centre.minus(g.Hinge), angle).X
	}
	for i := range g.Struts {
		_, push, arm, _ := g.Struts[i].At(g.Hinge, angle)
		m -= push * arm
	}
	return m
}

// Over is the angle at which the bed runs over by itself, rad: the common centre stands over the hinge,
// tan θ = −Σm·x/Σm·z; ok is false where it never does under a right angle.
func (g *Gear) Over(ws []Weight) (angle float64, ok bool) {
	var c Vec
	for _, w := range ws {
		c = c.plus(w.Centre.minus(g.Hinge).times(w.Kg))
	}
	if c.X >= 0 {
		return 0, true
	}
	if c.Z <= 0 {
		return 0, false
	}
	return math.Atan2(-c.X, c.Z), true
}

// Force is what line or cylinder bears at an angle.
type Force struct {
	State
	Moment float64 // N·m about the hinge
	Pull   float64 // of the line at the mast or of the cylinder, N; hands: square to the bed
	Link   float64 // in what is fixed to the bed: line, cylinder, strap or link, N
	Hinge  Vec     // on the frame, N
	Foot   Vec     // on the frame at the foot of mast, cylinder or lever, N
	Struts []Vec   // on the frame at each strut's foot, N
}

// Hold is the gear in balance at an angle by virtual work: Pull·arm = Moment. Where the arm is nearly zero
// it is infinite. Errors: those of At.
func (g *Gear) Hold(ws []Weight, angle float64) (f Force, err error) {
	f.State, err = g.At(angle)
	if err != nil {
		return f, err
	}
	f.Moment = g.Moment(ws, angle)
	if f.Arm < 1e-6 || f.Lift < 1e-6 {
		f.Pull, f.Link = math.Inf(1), math.Inf(1)
		return f, nil
	}
	f.Pull, f.Link = f.Moment/f.Arm, f.Moment/f.Lift
	weight := Vec{}
	for _, w := range ws {
		weight.Z -= Gravity * w.Kg
	}
	on := f.Push.times(f.Link) // on the bed
	f.Hinge = weight.plus(on)  // the bed passes on what it gets
	for i := range g.Struts {
		_, push, _, dir := g.Struts[i].At(g.Hinge, angle)
		f.Hinge = f.Hinge.plus(dir.times(push))
		f.Struts = append(f.Struts, dir.times(-push))
	}
	switch g.Kind {
	case Line:
		f.Foot = on.times(-1) // on the mast's top, by the line to the bed alone
	case Cylinder:
		f.Foot = on.times(-1)
	case Swing:
		w, _ := f.Top.to(g.Drum)
		f.Foot = on.times(-1).plus(w.times(f.Pull))
	case Lever:
		w, _ := g.Drum.to(f.Knee)
		f.Foot = on.times(-1).plus(w.times(f.Pull))
	}
	return f, nil
}

// Tackle is how many times the pull of its line a tackle of n parts gives with an efficiency a sheave, and what
// k sheaves that only lead the line leave: η^k·Ση^i, i from 0 to n − 1.
func Tackle(parts, leads int, efficiency float64) float64 {
	sum, e := 0.0, 1.0
	for range max(1, parts) {
		sum += e
		e *= efficiency
	}
	return sum * math.Pow(efficiency, float64(max(0, leads)))
}
