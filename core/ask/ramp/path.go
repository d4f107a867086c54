// Package ramp answers how a machine gets on and off: the ramp's angle, what touches on
// the way, what tips, what the ramp bears, what the winch pulls. Formulas:
// docs/method/ramp.md.
//
// Axes here: u forward and z up, the ball's middle over u = 0, so that u is −x of the
// rig; the machine drives toward greater u.
package ramp

import (
	"math"

	"zygonos/core/lang/quantity"
)

// Point is a place in the side view, m.
type Point struct{ U, Z float64 }

// Path is what wheels roll on, from behind forward: ground, ramp, deck.
type Path []Point

// Contact is where a wheel stands: its centre, where it touches, and how far the
// surface rises there, rad.
type Contact struct {
	Centre, At Point
	Slope      float64
	On         int // which piece of the path, 2i, or which corner, 2i + 1
}

// Rest is how a wheel of radius r with its centre at u stands on the path: on the
// highest of the offsets of its pieces, z = line + r/cos, and of circles about its
// corners, z = z_v + √(r² − (u − u_v)²).
func (p Path) Rest(u, r float64) Contact {
	best := Contact{Centre: Point{u, math.Inf(-1)}}
	for i := 0; i+1 < len(p); i++ {
		a, b := p[i], p[i+1]
		du, dz := b.U-a.U, b.Z-a.Z
		l := math.Hypot(du, dz)
		if du <= 0 || l == 0 {
			continue
		}
		tu, tz := du/l, dz/l
		s := (u - a.U + r*tz) / tu // along the piece to the touching point
		if s < 0 || s > l {
			continue
		}
		if z := a.Z + s*tz + r*tu; z > best.Centre.Z {
			best = Contact{Point{u, z}, Point{a.U + s*tu, a.Z + s*tz}, math.Atan2(tz, tu), 2 * i}
		}
	}
	for i, v := range p {
		d := u - v.U
		if math.Abs(d) > r {
			continue
		}
		up := math.Sqrt(r*r - d*d)
		if z := v.Z + up; z > best.Centre.Z+1e-12 {
			best = Contact{Point{u, z}, v, math.Atan2(-d, up), 2*i + 1}
		}
	}
	return best
}

// Body is a machine on two pairs of wheels, m. Its own frame has its origin on level
// ground under the rear wheels, a ahead and h up.
type Body struct {
	Base                  float64 // between the wheels' middles
	FrontR, RearR         float64 // wheels' radii
	Before, Behind        float64 // overhangs
	Belly, Nose, Tail     float64 // heights of the underside between, before and behind the wheels
	CentreAhead, CentreUp float64 // of mass
}

// Pose is a body on a path.
type Pose struct {
	Front, Rear Contact
	Pitch       float64 // nose up, rad
}

// axles is the distance of the wheels' middles and the angle of their line on level
// ground.
func (b *Body) axles() (distance, angle float64) {
	d := b.FrontR - b.RearR
	return math.Hypot(b.Base, d), math.Atan2(d, b.Base)
}

// Stand puts the body on the path with its rear wheels' middle at u: the front ones
// stand where the distance is the wheelbase, found between a third of it and the
// whole ahead. guess is that distance along u at the step before; 0 for none.
func (b *Body) Stand(p Path, u, guess float64) Pose {
	rear := p.Rest(u, b.RearR)
	d, level := b.axles()
	gap := func(at float64) (float64, Contact) {
		f := p.Rest(u+at, b.FrontR)
		return math.Hypot(at, f.Centre.Z-rear.Centre.Z) - d, f
	}
	lo, hi := d/3, d
	glo, _ := gap(lo)
	ghi, front := gap(hi)
	if glo < 0 && ghi > 0 {
		if guess > lo && guess < hi {
			if g, _ := gap(guess); g < 0 {
				lo, glo = guess, g
			} else {
				hi, ghi = guess, g
			}
		}
		side := 0
		for range 60 { // false position, the end that stays halved (Illinois)
			at := (lo*ghi - hi*glo) / (ghi - glo)
			g, f := gap(at)
			front = f
			if math.Abs(g) < 1e-10 || hi-lo < 1e-12 {
				break
			}
			if g < 0 {
				if lo, glo = at, g; side == -1 {
					ghi /= 2
				}
				side = -1
			} else {
				if hi, ghi = at, g; side == 1 {
					glo /= 2
				}
				side = 1
			}
		}
	}
	return Pose{
		Front: front,
		Rear:  rear,
		Pitch: math.Atan2(front.Centre.Z-rear.Centre.Z, front.Centre.U-rear.Centre.U) - level,
	}
}

// Place is where a point of the body's own frame stands.
func (b *Body) Place(q Pose, a, h float64) Point {
	c, s := math.Cos(q.Pitch), math.Sin(q.Pitch)
	h -= b.RearR
	return Point{q.Rear.Centre.U + a*c - h*s, q.Rear.Centre.Z + a*s + h*c}
}

// Clearance is the least distance between the underside and the path, measured along
// the body's own upright, m, and how far ahead of the rear wheels it is. Between wheels,
// before and behind them the underside is straight, the path is straight between its
// corners: the least lies at a corner or at an end.
func (b *Body) Clearance(p Path, q Pose) (least, ahead float64) {
	c, s := math.Cos(q.Pitch), math.Sin(q.Pitch)
	own := make([]Point, 0, 8)
	for _, v := range p {
		du, dz := v.U-q.Rear.Centre.U, v.Z-q.Rear.Centre.Z
		own = append(own, Point{du*c + dz*s, -du*s + dz*c + b.RearR})
	}
	least = math.Inf(1)
	for _, under := range [3][3]float64{{-b.Behind, 0, b.Tail}, {0, b.Base, b.Belly}, {b.Base, b.Base + b.Before, b.Nose}} {
		from, to, h := under[0], under[1], under[2]
		if to <= from {
			continue
		}
		for i, v := range own {
			if v.U > from && v.U < to && h-v.Z < least {
				least, ahead = h-v.Z, v.U
			}
			if i == 0 {
				continue
			}
			w := own[i-1]
			for _, end := range [2]float64{from, to} {
				if (w.U-end)*(v.U-end) > 0 || v.U == w.U {
					continue
				}
				if z := w.Z + (v.Z-w.Z)*(end-w.U)/(v.U-w.U); h-z < least {
					least, ahead = h-z, end
				}
			}
		}
	}
	return least, ahead
}

type length = quantity.Length
