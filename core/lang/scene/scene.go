// Package scene is the drawing as data: a few primitives in metres and the
// handles by which things are taken. The screen, SVG and DXF all draw from it.
package scene

import (
	"slices"

	"zygonos/core/lang/quantity"
	"zygonos/core/lang/said"
)

// Point is a place in a view, metres: U to the right, V downward.
type Point [2]float64

// Form names a primitive.
type Form string

// The primitives.
const (
	Polygon  Form = "polygon"
	Polyline Form = "polyline"
	Circle   Form = "circle"
	Text     Form = "text"
)

// Shape is one primitive. Class says what it stands for; the renderer gives
// each class its look, so that no colour stands in the core.
type Shape struct {
	Form   Form          `json:"form"`
	Class  string        `json:"class"`
	Points []Point       `json:"points"`
	Radius float64       `json:"radius,omitempty"`
	Says   said.Sentence `json:"says,omitempty"`
	Anchor string        `json:"anchor,omitempty"` // text: start, middle, end
	Room   float64       `json:"room,omitempty"`   // text: m that it may take; it is cut to fit
	Thing  string        `json:"thing,omitempty"`  // path of the plan's thing that it shows
}

// Handle is a place where a thing can be taken: moving it by d along
// Direction writes At+d, kept within Min and Max, to Path in the plan.
type Handle struct {
	Thing     string        `json:"thing"`
	Path      string        `json:"path"`
	Direction Point         `json:"direction"` // unit vector in the view
	At        float64       `json:"at"`
	Min       float64       `json:"min"`
	Max       float64       `json:"max"`
	Snaps     []float64     `json:"snaps,omitempty"`
	Marks     string        `json:"marks,omitempty"` // key of the view's marks that it snaps to as well
	Step      float64       `json:"step"`
	Coarse    float64       `json:"coarse"`
	Label     said.Sentence `json:"label"`
	Zone      *Zone         `json:"zone,omitempty"`
}

// Zone is the stretch of the drawing that a thing may cover and, within it,
// where its near face may stand, so that nothing that depends on its place
// fails.
type Zone struct {
	From   float64 `json:"from"` // of the near face, in U
	To     float64 `json:"to"`
	Length float64 `json:"length"` // of the thing
	Level  float64 `json:"level"`  // V of what it stands on
}

// Target is a box where a thing may be let go: each move puts a word at a path of
// the plan.
type Target struct {
	Thing string        `json:"thing"`
	Min   Point         `json:"min"`
	Max   Point         `json:"max"`
	Label said.Sentence `json:"label"`
	Moves []Move        `json:"moves"`
}

// Move puts a word at a path.
type Move struct {
	Path string `json:"path"`
	To   string `json:"to"`
}

// View is one drawing to scale.
type View struct {
	ID      string        `json:"id"`
	Title   said.Sentence `json:"title"`
	Min     Point         `json:"min"`
	Max     Point         `json:"max"`
	Shapes  []Shape       `json:"shapes"`
	Handles []Handle      `json:"handles,omitempty"`
	Targets []Target      `json:"targets,omitempty"`
	// values that many handles snap to, by their name
	Marks map[string][]float64 `json:"marks,omitempty"`
}

// Rect is the polygon of an upright rectangle.
func Rect(class, thing string, u0, v0, u1, v1 float64) Shape {
	return Shape{Form: Polygon, Class: class, Thing: thing, Points: []Point{{u0, v0}, {u1, v0}, {u1, v1}, {u0, v1}}}
}

// Line is a polyline of two points.
func Line(class string, u0, v0, u1, v1 float64) Shape {
	return Shape{Form: Polyline, Class: class, Points: []Point{{u0, v0}, {u1, v1}}}
}

// Disc is a circle.
func Disc(class string, u, v, r float64) Shape {
	return Shape{Form: Circle, Class: class, Points: []Point{{u, v}}, Radius: r}
}

// Label is a text at a point.
func Label(class, anchor string, u, v float64, says said.Sentence) Shape {
	return Shape{Form: Text, Class: class, Anchor: anchor, Points: []Point{{u, v}}, Says: says}
}

// Sense takes out of a view what cannot be drawn: shapes and handles with a figure that is none.
func (v *View) Sense() {
	v.Shapes = slices.DeleteFunc(v.Shapes, func(s Shape) bool {
		return !s.drawable() || !s.Says.Finite() || !quantity.Finite(s.Room)
	})
	v.Handles = slices.DeleteFunc(v.Handles, func(h Handle) bool {
		ok := finite(
			append([]float64{h.At, h.Min, h.Max, h.Step, h.Coarse, h.Direction[0], h.Direction[1]}, h.Snaps...)...)
		return !ok || !h.Label.Finite()
	})
	for i := range v.Handles {
		if z := v.Handles[i].Zone; z != nil && !finite(z.From, z.To, z.Length, z.Level) {
			v.Handles[i].Zone = nil
		}
	}
	for k, m := range v.Marks {
		v.Marks[k] = slices.DeleteFunc(m, func(at float64) bool { return !finite(at) })
	}
	v.Targets = slices.DeleteFunc(v.Targets, func(t Target) bool {
		return !finite(t.Min[0], t.Min[1], t.Max[0], t.Max[1])
	})
	if !finite(v.Min[0], v.Min[1], v.Max[0], v.Max[1]) {
		v.Min, v.Max, v.Shapes, v.Handles, v.Targets = Point{-1, -1}, Point{1, 1}, []Shape{}, nil, nil
	}
}

func finite(vs ...float64) bool {
	return !slices.ContainsFunc(vs, func(v float64) bool { return !quantity.Finite(v) })
}

// Curve is a figure along a way or an angle, at places that are stated beside it.
type Curve struct {
	Kind   quantity.Kind `json:"kind"`
	Values []float64     `json:"values"`
	Limit  *float64      `json:"limit,omitempty"`
	Above  bool          `json:"above"` // the figure must stay above its limit
	Worst  int           `json:"worst"`
}
