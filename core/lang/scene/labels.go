package scene

import (
	"math"
	"unicode/utf8"

	"zygonos/core/lang/quantity"
)

// A letter's usual width as a share of its height, and the room of a line.
const (
	letterWide = 0.6
	lineHigh   = 1.25
)

// area is the box that a text covers.
type area struct{ left, right, top, bottom float64 }

func (a area) meets(b area) bool {
	return a.left < b.right && b.left < a.right && a.top < b.bottom && b.top < a.bottom
}

// covers is the box of a text at a point, its letters letter high, m.
func (s *Shape) covers(l quantity.Locale, at Point) area {
	wide := float64(utf8.RuneCountInString(s.Says.Text(l))) * letter * letterWide
	left := at[0]
	switch s.Anchor {
	case "middle":
		left -= wide / 2
	case "end":
		left -= wide
	}
	return area{left, left + wide, at[1] - letter*lineHigh/2, at[1] + letter*lineHigh/2}
}

// spread gives the places of a view's texts: each where it belongs, or the nearest line above or
// below on which it runs over no earlier one; where a dozen lines are taken it stays.
func (v *View) spread(l quantity.Locale) map[*Shape]Point {
	out := map[*Shape]Point{}
	var taken []area
	for i := range v.Shapes {
		s := &v.Shapes[i]
		if s.Form != Text || !s.drawable() {
			continue
		}
		at := s.Points[0]
	lines:
		for n := range 25 {
			step := math.Ceil(float64(n)/2) * letter * lineHigh
			if n%2 == 1 {
				step = -step
			}
			p := Point{at[0], at[1] + step}
			box := s.covers(l, p)
			for _, t := range taken {
				if t.meets(box) {
					continue lines
				}
			}
			at = p
			break
		}
		out[s] = at
		taken = append(taken, s.covers(l, at))
	}
	return out
}
