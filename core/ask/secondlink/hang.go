package secondlink

import "math"

// Hang is how one of the chains hangs between the car's eye and the trailer's, straight ahead:
// metres, x behind the ball, y beside the middle, z above the ground. The other is its mirror.
type Hang struct {
	Ahead, CarAside, CarUp float64 // of the car's eye: before the ball
	Back, Aside, Up        float64 // of the trailer's: behind the ball
	Length                 float64 // from eye to eye
	Crossed                bool    // to the eye of the other side
}

// Span is how far the two eyes of the chain on the car's right are apart, m, with the trailer
// turned by a about the ball (rad, its tail to the right):
//
//	x = d·cos a − s·sin a + e,  y = d·sin a + s·cos a − c,  D = √(x² + y² + z²)
func (h *Hang) Span(a float64) float64 {
	s := h.Aside
	if h.Crossed {
		s = -s
	}
	sin, cos := math.Sincos(a)
	x, y := h.Back*cos-s*sin+h.Ahead, h.Back*sin+s*cos-h.CarAside
	return math.Sqrt(x*x + y*y + (h.Up-h.CarUp)*(h.Up-h.CarUp))
}

// turnStep is how finely a turn is looked through, rad.
const turnStep = math.Pi / 360

// Takes is the longest span of either chain on the way to an angle, to either side, m.
func (h *Hang) Takes(angle float64) float64 {
	most := h.Span(0)
	for a := turnStep; a < angle; a += turnStep {
		most = max(most, h.Span(a), h.Span(-a))
	}
	return max(most, h.Span(angle), h.Span(-angle))
}

// TurnsTo is the angle at which the first chain is drawn tight, rad, up to most.
func (h *Hang) TurnsTo(most float64) float64 {
	for a := 0.0; a < most; a += turnStep {
		if max(h.Span(a), h.Span(-a)) > h.Length {
			return max(0, a-turnStep)
		}
	}
	return most
}

// Lowest is how high over the ground the chain hangs at its lowest, straight ahead, m: a catenary
// of its length over the span h across and v up, y = a·cosh(x/a), with 2a·sinh(h/2a) = √(L² − v²)
// and its lowest point at h/2 − a·artanh(v/L) from the car's eye. Drawn tight it is a line.
func (h *Hang) Lowest() float64 {
	v := h.Up - h.CarUp
	span := h.Span(0)
	across := math.Sqrt(max(0, span*span-v*v))
	lower := min(h.Up, h.CarUp)
	if h.Length <= span {
		return lower
	}
	if across < 1e-6 { // straight down and up
		return (h.Up + h.CarUp - h.Length) / 2
	}
	ratio := math.Sqrt(h.Length*h.Length-v*v) / across // sinh(u)/u
	lo, hi := 1e-9, 1.0
	for math.Sinh(hi)/hi < ratio {
		hi *= 2
	}
	for range 60 {
		if mid := (lo + hi) / 2; math.Sinh(mid)/mid < ratio {
			lo = mid
		} else {
			hi = mid
		}
	}
	a := across / (2 * hi)
	at := across/2 - a*math.Atanh(v/h.Length)
	if at <= 0 || at >= across {
		return lower
	}
	return h.CarUp - a*(math.Cosh(at/a)-1)
}

// Falls is how far the coupling's head falls until the chains hold it, m, with the axle so far
// behind the ball: the trailer's eye falls z until √(x² + y² + z²) = L, the head z·l/(l − d). ok is
// false where the chains are too short to begin with.
func (h *Hang) Falls(axle float64) (fall float64, ok bool) {
	span, v := h.Span(0), h.Up-h.CarUp
	flat := span*span - v*v
	if h.Length < span || axle <= h.Back {
		return 0, false
	}
	z := v + math.Sqrt(max(0, h.Length*h.Length-flat))
	return max(0, z) * axle / (axle - h.Back), true
}
