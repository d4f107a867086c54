// Package earth is the push of loose material on the walls that hold it. Formulas: docs/method/box.md.
package earth

import "math"

// Gravity is g, m/s².
const Gravity = 9.80665

// AtRest is K₀ = 1 − sin φ, the share of its weight with which a material pushes sideways on a wall that does not give
// (Jáky 1944; EN 1997-1, 9.5.2), φ its angle of friction, rad, here that of repose. Outside 0 to 90° it is that of the
// nearer end.
func AtRest(phi float64) float64 {
	if !(phi > 0) { // as a liquid
		return 1
	}
	return 1 - math.Sin(math.Min(phi, math.Pi/2))
}

// Push is the force on a wall of height h, N a metre of its length, and how high over its foot it acts, m: a triangle
// with K·ρ·g·h at the foot, and K·q evenly of what lies on top (q, N/m², of a heap over the wall's edge).
//
//	F = K·(ρ·g·h²/2 + q·h),  z = K·(ρ·g·h³/6 + q·h²/2)/F
func Push(k, density, h, q float64) (force, up float64) {
	if !(k > 0) || !(density >= 0) || !(h > 0) || !(q >= 0) {
		return 0, 0
	}
	force = k * (density*Gravity*h*h/2 + q*h)
	if !(force > 0) {
		return 0, 0
	}
	return force, k * (density*Gravity*h*h*h/6 + q*h*h/2) / force
}
