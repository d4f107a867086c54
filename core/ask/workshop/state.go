package workshop

import (
	"math"

	"zygonos/core/lang/scene"
	"zygonos/core/rig"
)

// Stand is the work from above, in groups that come on with a step: what stands before the step that is looked at is on.
type Stand struct {
	Min    scene.Point  `json:"min"`
	Max    scene.Point  `json:"max"`
	Groups []StandGroup `json:"groups"`
}

// StandGroup is what a step puts on, or what is taped at it.
type StandGroup struct {
	Step   string        `json:"step"`
	Tapes  bool          `json:"tapes,omitempty"` // shown at that step alone
	Shapes []scene.Shape `json:"shapes"`
}

// standOf draws what the steps put on, in the frame's coordinates: behind the front board and to the right; nil where there
// is neither deck nor frame.
func standOf(r *rig.Rig, steps []WorkStep) *Stand {
	l, w := r.DeckLength(), r.DeckWidth()
	if !(l > 0) || !(w > 0) || r.DeckFront == nil {
		return nil
	}
	s := &Stand{Groups: []StandGroup{}}
	has := map[string]bool{}
	for i := range steps {
		has[steps[i].ID] = true
	}
	add := func(step string, tapes bool, shapes ...scene.Shape) {
		if has[step] && len(shapes) > 0 {
			s.Groups = append(s.Groups, StandGroup{step, tapes, shapes})
		}
	}
	var bars []scene.Shape
	for i := range drawnBars(r) {
		b := &r.Drawn.Bars[i]
		bars = append(bars, scene.Line("drawbar", b.From.X, b.From.Y, b.To.X, b.To.Y))
	}
	if bars == nil {
		bars = []scene.Shape{scene.Rect("deck", "", 0, -w/2, l, w/2)}
	}
	for _, step := range []string{"tack", "fit", "strip"} {
		add(step, false, bars...)
	}
	front := -r.DeckFront.Nominal
	add("coupling", false, scene.Disc("ball", front, 0, 0.05))
	if r.Axle != nil {
		track, radius := 1.4, r.WheelRadius()
		if t := r.Trailer.Track; t != nil {
			track = float64(t.Value)
		}
		var axles, wheels []scene.Shape
		for _, x := range r.AxlesAt() {
			x += front
			axles = append(axles, scene.Line("axle", x, -track/2, x, track/2))
			for _, y := range [2]float64{-track / 2, track / 2} {
				wheels = append(wheels, scene.Rect("wheel", "", x-radius, y-0.08, x+radius, y+0.08))
			}
		}
		add("axle", false, axles...)
		add("wheels", false, wheels...)
		if at := r.AxlesAt(); len(at) > 0 { // the wire from the coupling to both spindles
			x := at[0] + front
			add("align", true, scene.Line("push", front, 0, x, -track/2), scene.Line("push", front, 0, x, track/2))
		}
	}
	add("square", true, scene.Line("push", 0, -w/2, l, w/2), scene.Line("push", 0, w/2, l, -w/2))
	if wire := r.Trailer.Wiring; wire != nil {
		var lamps []scene.Shape
		for _, lamp := range wire.Lamps {
			lamps = append(lamps, scene.Disc("lamp", float64(lamp.Back), float64(lamp.Right), 0.04))
		}
		add("cable", false, scene.Line("cable", front, 0, 0, 0), scene.Line("cable", 0, 0, l, 0))
		add("lamps", false, lamps...)
	}
	add("deck", false, scene.Rect("floor-piece", "", 0, -w/2, l, w/2))
	var rings []scene.Shape
	for _, p := range r.Trailer.TiePoints {
		rings = append(rings, scene.Disc("tie-point", float64(p.At.Back), float64(p.At.Right), 0.03))
	}
	add("rings", false, rings...)
	low, high := scene.Point{math.Inf(1), math.Inf(1)}, scene.Point{math.Inf(-1), math.Inf(-1)}
	for _, g := range s.Groups {
		for _, x := range g.Shapes {
			for _, p := range x.Points {
				for k := range p {
					low[k], high[k] = math.Min(low[k], p[k]-x.Radius), math.Max(high[k], p[k]+x.Radius)
				}
			}
		}
	}
	if len(s.Groups) == 0 {
		return nil
	}
	s.Min, s.Max = scene.Point{low[0] - 0.1, low[1] - 0.1}, scene.Point{high[0] + 0.1, high[1] + 0.1}
	return s
}
