// Package vessel is what a tank of a shape holds at a height, where the fluid's centre lies, and where it goes when the
// surface tilts. Formulas: docs/method/tank.md.
package vessel

import "math"

// Kind is a tank's shape.
type Kind int

// The shapes.
const (
	Box     Kind = iota
	Upright      // cylinder that stands
	Along        // cylinder that lies, its axis along the trailer
	Across       // cylinder that lies across
	Saddle       // box over a tunnel that runs along in the middle of its floor
)

// Tank is a tank inside, m: a cylinder that stands is Long across, one that lies along High and Wide, one that lies
// across High and Long; of its two the less counts.
type Tank struct {
	Kind             Kind
	Long, Wide, High float64
	Baffles          int // walls across with holes: the fluid of each part tilts by itself
	TunnelWide       float64
	TunnelHigh       float64
}

// radius of a cylinder.
func (t *Tank) radius() float64 {
	switch t.Kind {
	case Upright:
		return math.Min(t.Long, t.Wide) / 2
	case Along:
		return math.Min(t.High, t.Wide) / 2
	case Across:
		return math.Min(t.High, t.Long) / 2
	}
	return 0
}

// size is its length, width and height as they count.
func (t *Tank) size() (l, w, h float64) {
	r := 2 * t.radius()
	switch t.Kind {
	case Upright:
		return r, r, t.High
	case Along:
		return t.Long, r, r
	case Across:
		return r, t.Wide, r
	}
	return t.Long, t.Wide, t.High
}

// Height is how high the fluid stands in it when it is full, m.
func (t *Tank) Height() float64 { _, _, h := t.size(); return h }

// OK reports whether its sizes make a tank.
func (t *Tank) OK() bool {
	l, w, h := t.size()
	if !(l > 0 && w > 0 && h > 0) || math.IsInf(l+w+h, 0) {
		return false
	}
	return t.Kind != Saddle || t.TunnelWide >= 0 && t.TunnelHigh >= 0 && t.TunnelWide < w && t.TunnelHigh < h
}

// segment is the area of a circle under a level, and its moment about the circle's lowest point:
//
//	A = R²·acos((R − z)/R) − (R − z)·√(2Rz − z²),  centre at R − (2/3)·(2Rz − z²)^(3/2)/A
func segment(r, z float64) (area, moment float64) {
	z = math.Max(0, math.Min(2*r, z))
	chord := math.Max(0, 2*r*z-z*z)
	area = r*r*math.Acos(math.Max(-1, math.Min(1, (r-z)/r))) - (r-z)*math.Sqrt(chord)
	return area, area*r - 2.0/3*math.Pow(chord, 1.5)
}

// slice is the area under a level of the cut at a place along (or, aside, across) from the tank's middle, with its
// moment about the floor.
func (t *Tank) slice(at, z float64, aside bool) (area, moment float64) {
	l, w, h := t.size()
	wide := w
	if aside {
		wide = l
	}
	low, top := 0.0, h
	rect := func(wide, low, top float64) (float64, float64) {
		z := math.Max(low, math.Min(top, z))
		a := wide * (z - low)
		return a, a * (z + low) / 2
	}
	r := t.radius()
	switch t.Kind {
	case Upright:
		return rect(2*math.Sqrt(math.Max(0, r*r-at*at)), low, top)
	case Along, Across:
		if (t.Kind == Along) != aside { // cut square to its axis: the circle
			return segment(r, z)
		}
		s := math.Sqrt(math.Max(0, r*r-at*at))
		return rect(wide, r-s, r+s)
	case Saddle:
		if aside {
			if math.Abs(at) < t.TunnelWide/2 {
				return rect(l, math.Min(t.TunnelHigh, h), h)
			}
			return rect(l, 0, h)
		}
		a, m := rect(w, 0, h)
		b, n := rect(t.TunnelWide, 0, math.Min(t.TunnelHigh, h))
		return a - b, m - n
	}
	return rect(wide, low, top)
}

// Held is the volume under a level surface, m³, and the height of its centre over the floor, m.
func (t *Tank) Held(level float64) (volume, centre float64) {
	l, w, h := t.size()
	z := math.Max(0, math.Min(h, level))
	var moment float64
	r := t.radius()
	switch t.Kind {
	case Upright:
		volume, moment = math.Pi*r*r*z, math.Pi*r*r*z*z/2
	case Along:
		a, m := segment(r, z)
		volume, moment = a*l, m*l
	case Across:
		a, m := segment(r, z)
		volume, moment = a*w, m*w
	default:
		a, m := t.slice(0, z, false)
		volume, moment = a*l, m*l
	}
	if !(volume > 0) {
		return 0, 0
	}
	return volume, moment / volume
}

// Volume is what it holds when full, m³.
func (t *Tank) Volume() float64 { v, _ := t.Held(t.Height()); return v }

// Level is how high the surface stands over the floor with a share of its volume in it, m.
func (t *Tank) Level(fill float64) float64 {
	full := t.Volume()
	if !(full > 0) || !(fill > 0) {
		return 0
	}
	want := math.Min(1, fill) * full
	return bisect(0, t.Height(), func(z float64) bool { v, _ := t.Held(z); return v < want })
}

// Tilt is how far the fluid's centre moves and rises when the surface stands at a slope, tan θ = a/g: along the trailer
// to the front, each part between baffles by itself; aside to one side. The surface stays within the tank; zero where it
// is empty or full.
func (t *Tank) Tilt(fill, slope float64, aside bool) (away, up float64) {
	if !t.OK() || !(fill > 0) || fill >= 1 || !(slope > 0) || math.IsInf(slope, 0) {
		return 0, 0
	}
	l, w, h := t.size()
	long, parts := l, max(0, t.Baffles)+1
	if aside {
		long, parts = w, 1
	}
	level := t.Level(fill)
	alike := !aside && t.Kind != Upright && t.Kind != Across // all parts are: one tells
	var tilted, rest cutSum
	for p := range parts {
		if p > 0 && alike {
			break
		}
		wide := long / float64(parts)
		from := -long/2 + wide*float64(p)
		still := t.cut(from, wide, level, 0, aside)
		c := bisect(0, h+slope*wide, func(c float64) bool {
			return t.cut(from, wide, c, slope, aside).volume < still.volume
		})
		tilted.add(t.cut(from, wide, c, slope, aside))
		rest.add(still)
	}
	if !(rest.volume > 0) {
		return 0, 0
	}
	return math.Max(0, (rest.along-tilted.along)/rest.volume), math.Max(0, (tilted.up-rest.up)/rest.volume)
}

// cutSum is a volume with its moments, along from the tank's middle and up from its floor.
type cutSum struct{ volume, along, up float64 }

func (s *cutSum) add(o cutSum) {
	s.volume, s.along, s.up = s.volume+o.volume, s.along+o.along, s.up+o.up
}

// cuts of a tilted surface's sum, by midpoints.
const cuts = 64

// cut is what a stretch of the tank holds under a surface that stands at c at its beginning and falls by a slope.
func (t *Tank) cut(from, wide, c, slope float64, aside bool) (s cutSum) {
	d := wide / cuts
	for i := range cuts {
		x := (float64(i) + 0.5) * d
		a, m := t.slice(from+x, c-slope*x, aside)
		s.add(cutSum{a * d, a * d * (from + x), m * d})
	}
	return s
}

// bisect finds where less turns false between two ends.
func bisect(low, high float64, less func(float64) bool) float64 {
	for range 40 {
		mid := (low + high) / 2
		if less(mid) {
			low = mid
		} else {
			high = mid
		}
	}
	return (low + high) / 2
}
