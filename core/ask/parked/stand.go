package parked

import (
	"cmp"
	"math"
	"slices"
)

// Point is a place on the ground, m: x behind the ball, y to the right.
type Point struct{ X, Y float64 }

// Around gives the corners of what stands around points, against the clock seen with x to the right
// and y down; fewer than three where they lie in a line (Andrew's monotone chain).
func Around(points []Point) []Point {
	p := slices.Clone(points)
	slices.SortFunc(p, func(a, b Point) int { return cmp.Or(cmp.Compare(a.X, b.X), cmp.Compare(a.Y, b.Y)) })
	p = slices.Compact(p)
	if len(p) < 3 {
		return p
	}
	half := func(of []Point) []Point {
		var out []Point
		for _, c := range of {
			for len(out) > 1 && cross(out[len(out)-2], out[len(out)-1], c) <= 1e-12 {
				out = out[:len(out)-1]
			}
			out = append(out, c)
		}
		return out[:len(out)-1]
	}
	back := slices.Clone(p)
	slices.Reverse(back)
	return append(half(p), half(back)...)
}

func cross(o, a, b Point) float64 { return (a.X-o.X)*(b.Y-o.Y) - (a.Y-o.Y)*(b.X-o.X) }

// Edge is one line that it may tip over.
type Edge struct {
	From, To Point
	Room     float64 // of a point inside it, m; negative outside
	Across   float64 // how much of a push to the side (along y) tips over it, 0 to 1
}

// Edges are the lines around points with the room that a point has to each. Where the points make
// no area there is none, and nothing stands.
func Edges(points []Point, at Point) []Edge {
	hull := Around(points)
	if len(hull) < 3 {
		return nil
	}
	var out []Edge
	for i, a := range hull {
		b := hull[(i+1)%len(hull)]
		l := math.Hypot(b.X-a.X, b.Y-a.Y)
		out = append(out, Edge{a, b, cross(a, b, at) / l, math.Abs(b.X-a.X) / l})
	}
	return out
}
