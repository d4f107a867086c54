package box

import (
	"math"

	"zygonos/core/lang/finding"
	"zygonos/core/lang/quantity"
	"zygonos/core/lang/said"
	"zygonos/core/lang/scene"
	"zygonos/core/parts"
	"zygonos/core/plan"
	"zygonos/core/rig"
)

// Shown is a body as the stage shows it.
type Shown struct {
	ID     string           `json:"id"`
	Name   said.Piece       `json:"name"`
	Mass   *finding.Measure `json:"mass,omitempty"`
	Centre [2]float64       `json:"centre"` // behind its front and over the deck, m
	Pieces []ShownPiece     `json:"pieces"`
	Side   scene.View       `json:"side"`   // from the left
	Ways   []ShownWay       `json:"ways"`   // out of where it is built, the best first
	Path   *scene.View      `json:"path"`   // door, path and corner from above
	Turns  []Turned         `json:"turns"`  // the body on its way out
	Tight  int              `json:"tight"`  // of Turns, where it has least room
	Litres *float64         `json:"litres"` // more on 100 km at 90 km/h; nil without a car
}

// ShownPiece is a line of its list.
type ShownPiece struct {
	Name  string          `json:"name"`
	Count int             `json:"count"`
	Long  float64         `json:"long,omitempty"` // m
	Area  float64         `json:"area,omitempty"` // m²
	Mass  finding.Measure `json:"mass"`           // together
}

// ShownWay is a way out with the room that it leaves; nil where neither door nor path is stated.
type ShownWay struct {
	Name string   `json:"name"`
	Room *float64 `json:"room"`
}

// Turned is the body on its way out.
type Turned struct {
	Shape  scene.Shape   `json:"shape"`
	Middle [2]float64    `json:"middle"` // of it, in the drawing
	Room   float64       `json:"room"`   // left there, m
	Says   said.Sentence `json:"says"`   // where that is
}

// Show is the bodies of an outing.
func Show(r *rig.Rig) []Shown {
	out := []Shown{}
	for _, b := range Bodies(r) {
		out = append(out, b.show())
	}
	return out
}

func (b *Body) show() Shown {
	s := Shown{
		ID:     b.id,
		Name:   said.Name(b.r.Plan.Parts[b.id].Name, "a body"),
		Pieces: []ShownPiece{},
		Ways:   []ShownWay{},
	}
	if b.mass.Nominal > 0 {
		s.Mass = finding.Of(quantity.KindMass, b.mass)
	}
	_, s.Centre[0], s.Centre[1] = parts.BoxMass(b.b)
	for _, p := range parts.BoxPieces(b.b) {
		n := float64(p.Count)
		m := quantity.Range[float64]{Low: n * p.Each.Low, Nominal: n * p.Each.Nominal, High: n * p.Each.High}
		s.Pieces = append(s.Pieces, ShownPiece{p.Name, p.Count, p.Long, p.Area, *finding.Of(quantity.KindMass, m)})
	}
	s.Side = b.sideView()
	for _, w := range b.Ways() {
		way := ShownWay{Name: w.Name}
		if room := w.Room(); !math.IsInf(room, 0) {
			way.Room = &room
		}
		s.Ways = append(s.Ways, way)
	}
	s.Path, s.Turns, s.Tight = b.pathView()
	if litres, ok := b.More(); ok {
		s.Litres = &litres
	}
	return s
}

// sideView is the body from the left with its sticks.
func (b *Body) sideView() scene.View {
	l, h := float64(b.b.Long), float64(b.b.High)
	v := scene.View{ID: "body", Title: said.Say("The body from the left"), Shapes: []scene.Shape{}}
	if b.b.SkinThick != nil {
		v.Shapes = append(v.Shapes, scene.Rect("sides", "", 0, -h, l, 0))
	}
	line := func(x0, z0, x1, z1 float64) { v.Shapes = append(v.Shapes, scene.Line("drawbar", x0, -z0, x1, -z1)) }
	side, _ := parts.PostsOf(b.b)
	for i := range side {
		x := l * float64(i) / float64(max(1, side-1))
		line(x, 0, x, h)
	}
	line(0, 0, l, 0)
	line(0, h, l, h)
	if b.b.Braced == plan.BracedDiagonals {
		line(0, 0, math.Min(l, h), h)
	}
	v.Min, v.Max = scene.Point{-0.1, -h - 0.1}, scene.Point{l + 0.1, 0.1}
	return v
}
