package goods

import "math"

// HeapVolume is the volume of a heap on a level rectangle length × width whose
// faces rise from all four edges at the angle of repose θ (tan θ = slope) and
// which is cut level at height h: docs/method/bulk.md.
//
//	V(h) = L·W·h − (L + W)·h²/t + 4·h³/(3·t²),  h ≤ W·t/2
//
// From the height at which the faces meet on, V stays what it is there.
func HeapVolume(length, width, slope, h float64) float64 {
	if length <= 0 || width <= 0 || slope <= 0 || h <= 0 {
		return 0
	}
	h = min(h, PeakHeight(length, width, slope))
	return length*width*h - (length+width)*h*h/slope + 4*h*h*h/(3*slope*slope)
}

// PeakHeight is where the faces of a heap on a rectangle meet.
func PeakHeight(length, width, slope float64) float64 { return min(length, width) / 2 * slope }

// HeapHeight is the height at which a heap of that volume is level, and what
// finds no room on the rectangle at that slope, m³.
func HeapHeight(length, width, slope, volume float64) (h, over float64) {
	top := PeakHeight(length, width, slope)
	if most := HeapVolume(length, width, slope, top); volume >= most {
		return top, volume - most
	}
	return bisect(0, top, func(h float64) bool { return HeapVolume(length, width, slope, h) < volume }), 0
}

// Cone is what a loader's scoop drops in one place: a cone at the angle of
// repose, held in by sides width apart where it reaches them. It returns the
// height at the middle and the length along the deck.
func Cone(width, slope, volume float64) (height, length float64) {
	if volume <= 0 || slope <= 0 || width <= 0 {
		return 0, 0
	}
	// The free cone: V = π·r³·t/3.
	r := math.Cbrt(3 * volume / (math.Pi * slope))
	if 2*r > width {
		r = bisect(r, 100*r, func(r float64) bool { return coneBetween(width, slope, r) < volume })
	}
	return r * slope, 2 * r
}

// coneBetween is the volume of a cone of radius r under |y| ≤ width/2: over the
// half-chord a = √(r² − y²) the section is ∫ t·(r − √(x² + y²)) dx, which has the
// closed form t·(r·a − y²·asinh(a/|y|)); Simpson's rule over y.
func coneBetween(width, slope, r float64) float64 {
	section := func(y float64) float64 {
		if y >= r {
			return 0
		}
		a := math.Sqrt(r*r - y*y)
		s := r * a
		if y > 0 {
			s -= y * y * math.Asinh(a/y)
		}
		return slope * s
	}
	const n = 200
	end := min(width/2, r)
	step := end / n
	sum := section(0) + section(end)
	for i := 1; i < n; i++ {
		sum += section(float64(i)*step) * float64(2+2*(i%2))
	}
	return 2 * sum * step / 3
}

// bisect finds where below turns false between lo and hi.
func bisect(lo, hi float64, below func(float64) bool) float64 {
	for range 80 {
		mid := (lo + hi) / 2
		if below(mid) {
			lo = mid
		} else {
			hi = mid
		}
	}
	return (lo + hi) / 2
}
