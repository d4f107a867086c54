package balance

import (
	"math"

	"zygonos/core/lang/said"
	"zygonos/core/lang/scene"
	"zygonos/core/rig"
)

// Beam draws the trailer as a see-saw on its axle: masses press down where
// they stand, ball and axle push up, all to one scale of force. U is x, as in
// the side view; V is the force, downward from the beam at 0.
func Beam(r *rig.Rig, w *Window) scene.View {
	v := scene.View{
		ID:    "beam",
		Title: said.Say("What presses where"),
		Min:   scene.Point{-1.5, -0.75},
		Max:   scene.Point{4, 0.72},
	}
	v.Min[0], v.Max[0] = r.Reach()
	_, rear := r.Deck()
	if r.Bears == nil {
		v.Shapes = append(v.Shapes, scene.Line("beam", 0, 0, rear, 0))
		return v
	}
	b := r.Bears
	l := r.Axle.Nominal
	most := math.Max(1, b.OnAxle.High)
	for i := range r.Items {
		if m := r.Items[i].Mass; m != nil {
			most = math.Max(most, m.High)
		}
	}
	const full = 0.58 // m of drawing for the largest force
	scale := full / most
	// The ball bears little beside the axle: it is drawn larger by a whole number, and says so.
	zoom := 1.0
	if at := math.Max(b.Ball.High, -b.Ball.Low); at > 0 {
		if w != nil {
			at = math.Max(at, w.High)
		}
		zoom = math.Max(1, math.Floor(0.5/(at*scale)))
	}
	add := func(s ...scene.Shape) { v.Shapes = append(v.Shapes, s...) }
	end := math.Max(rear, l)
	for i := range r.Items {
		end = math.Max(end, r.Items[i].X)
	}
	// The allowed window at the ball, and the range of doubt beside it.
	if w != nil && w.High > w.Low {
		add(scene.Rect("window", "", -0.16, 0.03+w.Low*scale*zoom, 0.16, 0.03+w.High*scale*zoom))
	}
	doubt := func(x float64, lo, hi float64) {
		if hi-lo > 0.5 {
			add(scene.Rect("doubt", "", x-0.06, 0.03+lo*scale, x+0.06, 0.03+hi*scale))
		}
	}
	doubt(0, b.Ball.Low*zoom, b.Ball.High*zoom)
	doubt(l, b.OnAxle.Low, b.OnAxle.High)
	push := func(class string, x, kg float64) {
		tip := 0.03
		tail := 0.03 + kg*scale
		if math.Abs(kg*scale) < 0.01 {
			tail = tip + 0.01
		}
		head := 0.05
		if tail < tip {
			head = -head
		}
		add(
			scene.Line(class, x, tail, x, tip),
			scene.Shape{
				Form:   scene.Polygon,
				Class:  class + "-head",
				Points: []scene.Point{{x, tip}, {x - 0.04, tip + head*1.4}, {x + 0.04, tip + head*1.4}},
			},
		)
	}
	push("reaction", 0, b.Ball.Nominal*zoom)
	push("reaction", l, b.OnAxle.Nominal)
	var labels []scene.Point // one above the other where they would meet
	for i := range r.Items {
		it := &r.Items[i]
		if it.Mass == nil || it.Mass.Nominal <= 0 {
			continue
		}
		top := -0.03 - math.Max(0.06, it.Mass.Nominal*scale)
		arrow := scene.Line("press", it.X, top, it.X, -0.03)
		arrow.Thing = it.Path
		at := scene.Point{it.X, top - 0.05}
		for again := len(r.Items) <= 12; again; {
			again = false
			for _, o := range labels {
				if math.Abs(o[0]-at[0]) < 0.45 && math.Abs(o[1]-at[1]) < 0.14 {
					at[1], again = o[1]-0.15, true
				}
			}
		}
		labels = append(labels, at)
		v.Min[1] = math.Min(v.Min[1], at[1]-0.1)
		add(
			arrow,
			scene.Shape{
				Form:   scene.Polygon,
				Class:  "press-head",
				Thing:  it.Path,
				Points: []scene.Point{{it.X, -0.03}, {it.X - 0.04, -0.1}, {it.X + 0.04, -0.1}},
			},
			scene.Label("press-label", "middle", at[0], at[1], said.Say("%", said.Mass(it.Mass.Nominal))),
		)
	}
	add(scene.Rect("beam", "", 0, -0.03, end, 0.03))
	add(
		scene.Shape{
			Form:   scene.Polygon,
			Class:  "pivot",
			Points: []scene.Point{{l, 0.03}, {l - 0.07, 0.13}, {l + 0.07, 0.13}},
		},
	)
	add(scene.Label("reaction-label", "start", 0.24, 0.2, said.Say("{Ball load} %", said.Mass(b.Ball.Nominal))))
	add(
		scene.Label(
			"reaction-label",
			"start",
			l+0.12,
			0.03+math.Max(0.1, b.OnAxle.Nominal*scale*0.75),
			said.Say("Axle %", said.Mass(b.OnAxle.Nominal)),
		),
	)
	if zoom > 1 {
		add(scene.Label("reaction-label", "start", 0.24, 0.42, said.Say("drawn %×", said.Count(int(zoom)))))
	}
	return v
}
