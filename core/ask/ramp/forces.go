package ramp

import "math"

// Push is a force on what carries a wheel, as weights: Down and Ahead in kg, where it
// acts.
type Push struct {
	At          Point
	Down, Ahead float64
}

// Wheels are the forces of the wheels on what they stand on, and the line's pull, kg.
type Wheels struct {
	Front, Rear Push
	Line        float64
}

// vector of a contact's upright.
func (c *Contact) normal() (u, z float64) { return -math.Sin(c.Slope), math.Cos(c.Slope) }

// Line is what pulls a machine, and what holds its wheels back.
type Line struct {
	Hook, Winch Point // it runs from the one to the other
	Front, Rear Resistance
}

// Resistance is what holds a wheel back, as shares of what presses it.
type Resistance struct {
	Rolls  float64 // along its surface
	Bump   float64 // of a step before it: the slope of its rim where it touches that
	Locked bool    // it drags; else it turns, and what acts on it passes through its axle
}

// leans is how far what acts on the wheel leans back from its surface's upright, rad: the
// bump turns that, the rolling leans it further.
func (r Resistance) leans() float64 { return math.Atan(r.Bump) + math.Atan(r.Rolls) }

// acts is where what acts on a wheel of a pulled machine meets its rim, and the way that it
// acts (of length one).
func (r Resistance) acts(c Contact, radius float64) (at Point, u, z float64) {
	tu, tz := math.Cos(c.Slope), math.Sin(c.Slope)
	nu, nz := c.normal()
	sin, cos := math.Sincos(r.leans())
	u, z = nu*cos-tu*sin, nz*cos-tz*sin
	if !r.Locked { // through the axle
		return Point{c.Centre.U - radius*u, c.Centre.Z - radius*z}, u, z
	}
	sin, cos = math.Sincos(math.Atan(r.Bump))
	return Point{c.Centre.U + radius*(sin*tu-cos*nu), c.Centre.Z + radius*(sin*tz-cos*nz)}, u, z
}

// Forces balances a body of m kg that stands on the path without speed. Driven by all
// wheels each bears straight up; driven by one axle the other bears along its
// surface's upright and the driven one the rest; pulled by a line both bear along their
// uprights, leaning back by their resistance. ok is false where nothing balances it: the line
// would lift an axle.
func (b *Body) Forces(q Pose, m float64, way Way, line Line) (w Wheels, ok bool) {
	g := b.Place(q, b.CentreAhead, b.CentreUp)
	f, r := q.Front.At, q.Rear.At
	w.Front.At, w.Rear.At = f, r
	lever := f.U - r.U
	if lever <= 0 {
		return w, false
	}
	nfu, nfz := q.Front.normal()
	nru, nrz := q.Rear.normal()
	cross := func(of, about Point, u, z float64) float64 { return (of.U-about.U)*z - (of.Z-about.Z)*u }
	switch way {
	case OneAxleRear:
		k := cross(f, r, nfu, nfz)
		if k <= 0 {
			return w, false
		}
		n := m * (g.U - r.U) / k
		w.Front.Down, w.Front.Ahead = n*nfz, -n*nfu
		w.Rear.Down, w.Rear.Ahead = m-n*nfz, n*nfu
	case OneAxleFront:
		k := cross(r, f, nru, nrz)
		if k >= 0 {
			return w, false
		}
		n := m * (g.U - f.U) / k
		w.Rear.Down, w.Rear.Ahead = n*nrz, -n*nru
		w.Front.Down, w.Front.Ahead = m-n*nrz, n*nru
	case ByLine:
		du, dz := line.Winch.U-line.Hook.U, line.Winch.Z-line.Hook.Z
		l := math.Hypot(du, dz)
		if l == 0 {
			return w, false
		}
		du, dz = du/l, dz/l
		f, nfu, nfz = line.Front.acts(q.Front, b.FrontR)
		r, nru, nrz = line.Rear.acts(q.Rear, b.RearR)
		// Σu, Σz and moments about the rear contact for N_f, N_r, P (Cramer).
		a := [3][3]float64{{nfu, nru, du}, {nfz, nrz, dz}, {cross(f, r, nfu, nfz), 0, cross(line.Hook, r, du, dz)}}
		rhs := [3]float64{0, m, m * (g.U - r.U)}
		det := det3(a)
		if math.Abs(det) < 1e-9 {
			return w, false
		}
		var x [3]float64
		for i := range 3 {
			c := a
			for k := range 3 {
				c[k][i] = rhs[k]
			}
			x[i] = det3(c) / det
		}
		if x[0] < 0 || x[1] < 0 {
			return w, false
		}
		w.Front = Push{At: f, Down: x[0] * nfz, Ahead: -x[0] * nfu}
		w.Rear = Push{At: r, Down: x[1] * nrz, Ahead: -x[1] * nru}
		w.Line = x[2]
	default:
		share := (g.U - r.U) / lever
		w.Front.Down, w.Rear.Down = m*share, m*(1-share)
	}
	return w, true
}

func det3(a [3][3]float64) float64 {
	return a[0][0]*(a[1][1]*a[2][2]-a[1][2]*a[2][1]) - a[0][1]*(a[1][0]*a[2][2]-a[1][2]*a[2][0]) + a[0][2]*(a[1][0]*a[2][1]-a[1][1]*a[2][0])
}

// Way is what moves the machine.
type Way int

// What moves it.
const (
	AllWheels Way = iota
	OneAxleRear
	OneAxleFront
	ByLine
)

// Carry is what a wheel's push comes to on the trailer: all of it on the deck; on the
// ramp the share (u_c − u_foot)/(u_tail − u_foot) at the tail's edge and, as the foot
// slides, all that pushes along; nothing on the ground.
func Carry(f Push, foot, tail Point) Push {
	switch {
	case f.At.U >= tail.U-1e-9:
		return f
	case f.At.U <= foot.U+1e-9:
		return Push{At: tail}
	}
	return Push{At: tail, Down: f.Down * (f.At.U - foot.U) / (tail.U - foot.U), Ahead: f.Ahead}
}

// BallLoad is what a trailer's ball bears more when pushes act on it, its axle at u =
// −axle: R·L = Σ (L + u)·V + Σ (z − z₀)·A, with z₀ the height at which what pushes along is
// held: the ball's when hitched, the ground when the wheels are chocked.
func BallLoad(axle, held float64, pushes ...Push) float64 {
	sum := 0.0
	for _, f := range pushes {
		sum += (axle+f.At.U)*f.Down + (f.At.Z-held)*f.Ahead
	}
	return sum / axle
}
