// Package section computes the properties of a bar's cross-section from its
// dimensions, corner radii as the product standards give them. Formulas:
// docs/method/section.md.
package section

import (
	"errors"
	"math"
)

// Shape names a form of section.
type Shape string

// The shapes. H stands for the height, B for the width, T for the wall.
const (
	Tube    Shape = "tube"    // rectangular or square hollow, H × B × T, cold formed (EN 10219-2)
	Round   Shape = "round"   // round tube, H × T
	Angle   Shape = "angle"   // H × B × T (EN 10056-1 radii)
	Channel Shape = "channel" // plain channel, flanges B wide, walls T
	Strut   Shape = "strut"   // channel with lips turned in by Lip
	Bar     Shape = "bar"     // solid rectangle, H × B: timber, flat
	Rod     Shape = "rod"     // solid round, H
)

// Shapes lists the shapes.
var Shapes = []Shape{Tube, Round, Angle, Channel, Strut, Bar, Rod}

// Size is what a section measures, m.
type Size struct {
	Shape   Shape
	H, B, T float64
	Lip     float64 // of a strut
	Root    float64 // of an angle: its root radius; zero takes 1.4·T
}

// Properties are those of a section: areas in m², second moments in m⁴, moduli
// in m³. Y is the horizontal axis, so Iy and Wy are against bending under a
// vertical load with the section upright.
type Properties struct {
	Area           float64
	Iy, Iz         float64
	Wy, Wz         float64 // least, to the farther edge
	Iyz            float64 // product of inertia: zero for symmetric sections
	Major, Minor   float64 // principal second moments
	WMinor         float64 // about the weak principal axis
	CentreY        float64 // of the area, from the left edge, m
	CentreZ        float64 // from the bottom edge, m
	Tilt           float64 // of the strong principal axis against the horizontal, rad
	FreeBendsAside bool    // unheld, it moves sideways under a vertical load
}

// Errors of a size that makes no section.
var (
	ErrSize  = errors.New("a side is zero or less")
	ErrWall  = errors.New("the wall is zero or less")
	ErrThick = errors.New("the walls are thicker than half the section")
	ErrShape = errors.New("no such shape")
)

// A spandrel is what a rounded corner of radius 1 takes from a square one: its
// area, the distance of its centroid from the corner along either side, and its
// second moments about axes through its centroid (EN 10219-2, annex B).
var (
	spandrelArea   = 1 - math.Pi/4
	spandrelAt     = (10 - 3*math.Pi) / (12 - 3*math.Pi)
	spandrelI      = 1.0/3 - math.Pi/16 - 1/(3*(12-3*math.Pi))
	spandrelMixed  = 1.0/4 - (math.Pi/4 - 2.0/3 + 1.0/8) - spandrelArea*spandrelAt*spandrelAt
	angleRootToToe = 0.5 // EN 10056-1: toe radius over root radius
)

// piece is a part of a section: weight +1 or −1.
type piece struct {
	sign             float64
	area, y, z       float64
	iy, iz, mixed    float64 // about its own centroid
	y0, y1, z0, z1   float64
	countsTowardEdge bool
}

func rect(sign, y0, z0, y1, z1 float64) piece {
	w, h := y1-y0, z1-z0
	return piece{
		sign:             sign,
		area:             w * h,
		y:                (y0 + y1) / 2,
		z:                (z0 + z1) / 2,
		iy:               w * h * h * h / 12,
		iz:               h * w * w * w / 12,
		y0:               y0,
		y1:               y1,
		z0:               z0,
		z1:               z1,
		countsTowardEdge: sign > 0,
	}
}

// spandrel at a corner (y, z); the material that it is taken from or added to lies
// toward (dy, dz), each ±1.
func spandrel(sign, y, z, dy, dz, r float64) piece {
	return piece{sign: sign, area: spandrelArea * r * r, y: y + dy*spandrelAt*r, z: z + dz*spandrelAt*r,
		iy: spandrelI * math.Pow(
			r,
			4,
		), iz: spandrelI * math.Pow(r, 4), mixed: dy * dz * spandrelMixed * math.Pow(r, 4)}
}

// corners rounds the four corners of a rectangle.
func corners(sign, y0, z0, y1, z1, r float64) []piece {
	return []piece{
		spandrel(sign, y0, z0, 1, 1, r),
		spandrel(sign, y1, z0, -1, 1, r),
		spandrel(sign, y0, z1, 1, -1, r),
		spandrel(sign, y1, z1, -1, -1, r),
	}
}

// Of computes a section's properties.
func Of(s Size) (Properties, error) {
	if !(s.H > 0) || s.Shape != Round && s.Shape != Rod && !(s.B > 0) || math.IsInf(s.H+s.B, 0) {
		return Properties{}, ErrSize
	}
	hollow := s.Shape != Bar && s.Shape != Rod
	if hollow && !(s.T > 0) {
		return Properties{}, ErrWall
	}
	h, b, t := s.H, s.B, s.T
	switch s.Shape {
	case Tube:
		if 2*t >= min(h, b) {
			return Properties{}, ErrThick
		}
		outer, inner := tubeRadii(t)
		outer, inner = min(outer, min(h, b)/2), min(inner, (min(h, b)-2*t)/2)
		p := []piece{rect(1, 0, 0, b, h), rect(-1, t, t, b-t, h-t)}
		p = append(p, corners(-1, 0, 0, b, h, outer)...)
		return sum(append(p, corners(1, t, t, b-t, h-t, inner)...), true), nil
	case Round, Rod:
		d := 0.0
		if s.Shape == Round {
			if 2*t >= h {
				return Properties{}, ErrThick
			}
			d = h - 2*t
		}
		i := math.Pi * (math.Pow(h, 4) - math.Pow(d, 4)) / 64
		w := i / (h / 2)
		return Properties{
			Area:    math.Pi * (h*h - d*d) / 4,
			Iy:      i,
			Iz:      i,
			Wy:      w,
			Wz:      w,
			Major:   i,
			Minor:   i,
			WMinor:  w,
			CentreY: h / 2,
			CentreZ: h / 2,
		}, nil
	case Angle:
		if t >= min(h, b) {
			return Properties{}, ErrThick
		}
		root := s.Root
		if root == 0 {
			root = 1.4 * t
		}
		root = min(root, min(h, b)-t)
		toe := min(root*angleRootToToe, t)
		p := []piece{rect(1, 0, 0, t, h), rect(1, t, 0, b, t),
			spandrel(1, t, t, 1, 1, root), spandrel(-1, t, h, -1, -1, toe), spandrel(-1, b, t, -1, -1, toe)}
		return sum(p, false), nil
	case Channel:
		if 2*t >= h || t >= b {
			return Properties{}, ErrThick
		}
		return sum([]piece{rect(1, 0, 0, t, h), rect(1, t, 0, b, t), rect(1, t, h-t, b, h)}, false), nil
	case Strut: // open side up: the web lies at the bottom
		lip := s.Lip
		if lip == 0 {
			lip = 3 * t
		}
		if 2*t >= b || lip >= h-t || 2*lip >= b {
			return Properties{}, ErrThick
		}
		// Web at the bottom, walls up, lips turned in at the top and down.
		return sum(
			[]piece{
				rect(1, 0, 0, b, t),
				rect(1, 0, t, t, h),
				rect(1, b-t, t, b, h),
				rect(1, t, h-t, lip, h),
				rect(1, b-lip, h-t, b-t, h),
			},
			true,
		), nil
	case Bar:
		return sum([]piece{rect(1, 0, 0, b, h)}, true), nil
	}
	return Properties{}, ErrShape
}

// tubeRadii are the outer and inner corner radii of a cold-formed tube: 2T and T up
// to 6 mm, 2.5T and 1.5T up to 10 mm, 3T and 2T above (EN 10219-2).
func tubeRadii(t float64) (outer, inner float64) {
	switch {
	case t <= 0.006+1e-9:
		return 2 * t, t
	case t <= 0.010+1e-9:
		return 2.5 * t, 1.5 * t
	}
	return 3 * t, 2 * t
}

// sum puts pieces together about their common centroid (parallel-axis rule) and
// finds the principal axes: I₁,₂ = (Iy + Iz)/2 ± √(((Iy − Iz)/2)² + Iyz²).
func sum(ps []piece, symmetric bool) Properties {
	var o Properties
	var sy, sz float64
	y0, y1, z0, z1 := math.Inf(1), math.Inf(-1), math.Inf(1), math.Inf(-1)
	for _, p := range ps {
		o.Area += p.sign * p.area
		sy += p.sign * p.area * p.y
		sz += p.sign * p.area * p.z
		if p.countsTowardEdge {
			y0, y1, z0, z1 = min(y0, p.y0), max(y1, p.y1), min(z0, p.z0), max(z1, p.z1)
		}
	}
	cy, cz := sy/o.Area, sz/o.Area
	for _, p := range ps {
		dy, dz := p.y-cy, p.z-cz
		o.Iy += p.sign * (p.iy + p.area*dz*dz)
		o.Iz += p.sign * (p.iz + p.area*dy*dy)
		o.Iyz += p.sign * (p.mixed + p.area*dy*dz)
	}
	o.CentreY, o.CentreZ = cy-y0, cz-z0
	o.Wy = o.Iy / max(z1-cz, cz-z0)
	o.Wz = o.Iz / max(y1-cy, cy-y0)
	if symmetric {
		o.Iyz = 0
	}
	mid, half := (o.Iy+o.Iz)/2, math.Hypot((o.Iy-o.Iz)/2, o.Iyz)
	o.Major, o.Minor = mid+half, mid-half
	if math.Abs(o.Iyz) < 1e-6*mid {
		o.WMinor = min(o.Wy, o.Wz)
		return o
	}
	o.FreeBendsAside = true
	o.Tilt = math.Atan2(-2*o.Iyz, o.Iy-o.Iz) / 2
	// The farthest corner from the weak axis, which lies across the strong one.
	sin, cos := math.Sincos(o.Tilt)
	far := 0.0
	for _, p := range ps {
		if !p.countsTowardEdge {
			continue
		}
		for _, y := range []float64{p.y0, p.y1} {
			for _, z := range []float64{p.z0, p.z1} {
				far = max(far, math.Abs((y-cy)*cos+(z-cz)*sin))
			}
		}
	}
	o.WMinor = o.Minor / far
	return o
}

// Weak is the section modulus that counts under a vertical load, m³: against the
// horizontal axis, or, for a section that is not held and would move sideways, the
// weaker principal axis.
func (p *Properties) Weak(held bool) (w, i float64) {
	if p.FreeBendsAside && !held {
		return p.WMinor, p.Minor
	}
	return p.Wy, p.Iy
}
