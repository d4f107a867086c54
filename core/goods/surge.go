package goods

import "math"

// Surge is how far the centre of the fluid in a part-filled box of that length
// and height moves forward under a deceleration of a/g: the surface stands at
// tan θ = a/g, within the walls. Until it meets floor or lid the shift is
//
//	Δx = tan θ·L²/(12·h),  h = fill·H;  and it rises by  Δz = tan θ·Δx/2
//
// beyond that it follows from the cut of the box by the surface. The fluid is
// taken to follow at once and to come to rest; baffles make it less.
func Surge(length, height, fill, decel float64) (forward float64) {
	if length <= 0 || height <= 0 || fill <= 0 || fill >= 1 || decel <= 0 {
		return 0
	}
	area := fill * length * height
	c := bisect(
		0,
		height+decel*length,
		func(c float64) bool { a, _ := under(length, height, c, decel); return a < area },
	)
	_, at := under(length, height, c, decel)
	return length/2 - at
}

// under is the area, and its centroid behind the front wall, of the part of the
// box under the surface z = c − x·tan θ.
func under(length, height, c, slope float64) (area, at float64) {
	// Columns: full height up to a, sloping from a to b, empty behind.
	a := min(max((c-height)/slope, 0), length)
	b := min(max(c/slope, a), length)
	za, zb := c-a*slope, c-b*slope
	full := a * height
	w := b - a
	tri, rect := w*(za-zb)/2, w*zb
	area = full + tri + rect
	if area <= 0 {
		return 0, 0
	}
	return area, (full*a/2 + tri*(a+w/3) + rect*(a+w/2)) / area
}

// SurgeDecel is the deceleration at which surge is stated: hard but ordinary
// braking, a/g.
const SurgeDecel = 0.3

// Tan is the slope of an angle in degrees.
func Tan(degrees float64) float64 { return math.Tan(degrees * math.Pi / 180) }
