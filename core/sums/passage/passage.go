// Package passage asks whether a box gets through a door and round a corner. Formulas: docs/method/box.md.
package passage

import "math"

// Door is the least room, m, that is left when a box of sizes a and b square to its way goes through an opening, upright or
// on its side: the less of what is left in width and in height, the better of both; less than zero where it does not pass.
func Door(a, b, wide, high float64) float64 {
	upright := math.Min(wide-a, high-b)
	side := math.Min(wide-b, high-a)
	return math.Max(upright, side)
}

// Corner is the least room between the inner corner and a box, l long and w wide, that is turned round a right angle from a
// path a wide into one b wide, its outer side along both outer walls:
//
//	min over θ of a·cos θ + b·sin θ − l·sin θ·cos θ − w
//
// at the angle θ, rad, that its long side makes with the first path. Where it need not turn, because it goes on sideways, the
// less of a − w and b − l.
func Corner(l, w, a, b float64) (room, angle float64) {
	at := func(t float64) float64 {
		s, c := math.Sincos(t)
		return a*c + b*s - l*s*c - w
	}
	// several hollows may be there: look everywhere, then closer about the best
	const n = 200
	best, low := 0.0, math.Inf(1)
	for i := range n + 1 {
		t := math.Pi / 2 * float64(i) / n
		if v := at(t); v < low {
			low, best = v, t
		}
	}
	from, to := math.Max(0, best-math.Pi/2/n), math.Min(math.Pi/2, best+math.Pi/2/n)
	for range 50 { // golden ratio
		const g = 0.6180339887498949
		x, y := to-g*(to-from), from+g*(to-from)
		if at(x) < at(y) {
			to = y
		} else {
			from = x
		}
	}
	if t := (from + to) / 2; at(t) < low {
		low, best = at(t), t
	}
	ahead, across := math.Min(a-w, b-l), math.Min(a-l, b-w)
	switch {
	case ahead > low && ahead >= across:
		return ahead, 0
	case across > low:
		return across, math.Pi / 2
	}
	return low, best
}

// Longest is how long a box of a width may be to get round that corner, m; zero where the width does not pass.
func Longest(w, a, b float64) float64 {
	if !(w > 0) || w > a && w > b {
		return 0
	}
	low, high := 0.0, 100.0
	for range 60 {
		mid := (low + high) / 2
		if r, _ := Corner(mid, w, a, b); r >= 0 {
			low = mid
		} else {
			high = mid
		}
	}
	return low
}
