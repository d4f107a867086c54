package rig

import (
	"zygonos/core/lang/scene"
	"zygonos/core/plan"
)

// tail is the outline of a car's tail: places behind the ball, m (negative: before it), and
// heights over the ground as shares of the roof's; then the window.
type tail struct {
	roof  float64 // m
	line  []scene.Point
	glass []scene.Point
}

// tails are sketches of no make.
var tails = map[plan.CarBody]tail{
	"": {1.45, []scene.Point{{-0.22, 0.34}, {-0.24, 0.65}, {-0.45, 0.95}}, nil},
	plan.BodyHatch: {
		1.45,
		[]scene.Point{{-0.22, 0.34}, {-0.25, 0.66}, {-0.6, 0.95}},
		[]scene.Point{{-0.38, 0.7}, {-0.63, 0.91}, {-1.1, 0.93}, {-1.1, 0.7}},
	},
	plan.BodyEstate: {
		1.48,
		[]scene.Point{{-0.22, 0.34}, {-0.24, 0.66}, {-0.38, 0.97}},
		[]scene.Point{{-0.32, 0.68}, {-0.42, 0.93}, {-1.15, 0.94}, {-1.15, 0.68}},
	},
	plan.BodyTall: {
		1.75,
		[]scene.Point{{-0.22, 0.34}, {-0.22, 0.62}, {-0.32, 0.98}},
		[]scene.Point{{-0.3, 0.66}, {-0.37, 0.93}, {-1.15, 0.94}, {-1.15, 0.66}},
	},
	plan.BodyPickup: {1.78, []scene.Point{{-0.2, 0.34}, {-0.2, 0.62}, {-1.35, 0.62}, {-1.42, 0.97}}, nil},
	plan.BodyVan:    {2.05, []scene.Point{{-0.22, 0.24}, {-0.22, 0.5}, {-0.28, 0.98}}, nil},
}

// carTail draws the end of the tow vehicle from the drawing's edge on, under its upper edge.
func (r *Rig) carTail(from, height float64) []scene.Shape {
	t := tails[""]
	if v := r.Vehicle; v != nil {
		t = tails[v.Body]
	}
	roof := min(t.roof, height-0.04)
	at := func(points []scene.Point) (out []scene.Point) {
		for _, p := range points {
			out = append(out, scene.Point{max(p[0], from), -p[1] * roof})
		}
		return out
	}
	line := append([]scene.Point{{from, -0.35}, {-0.28, -0.35}}, at(t.line)...)
	out := []scene.Shape{{Form: scene.Polygon, Class: "car", Points: append(line, scene.Point{from, -roof})}}
	if t.glass != nil {
		out = append(out, scene.Shape{Form: scene.Polygon, Class: "car-glass", Points: at(t.glass)})
	}
	return out
}
