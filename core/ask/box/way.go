package box

import (
	"math"

	"zygonos/core/lang/quantity"
	"zygonos/core/lang/said"
	"zygonos/core/lang/scene"
)

// How a way out is shown: so many places through the door and along the path, so many turns at the corner.
const (
	places = 12
	turns  = 45
)

// outWay is a way out as it is drawn: a door across the first path, its outer wall along y = 0, and a second path up along x = 0
// behind the corner.
type outWay struct {
	w            Way
	door, high   float64 // +Inf where there is none
	path, corner float64 // +Inf where there is none
	doorAt       float64 // place of the door along the first path
	steps        []Turned
}

// pathView is the way out from above, and the body on its best way along it, where it has least room marked; nil where
// neither door nor path is entered.
func (b *Body) pathView() (v *scene.View, steps []Turned, tight int) {
	of := func(p *quantity.Length) float64 {
		if p == nil {
			return math.Inf(1)
		}
		return float64(*p)
	}
	o := outWay{
		w: b.Ways()[0], door: of(b.b.DoorWide), high: of(b.b.DoorHigh), path: of(b.b.PathWide), corner: of(b.b.Corner),
	}
	if math.IsInf(o.high, 1) {
		o.door = math.Inf(1) // half a door is none
	}
	if math.IsInf(o.path, 1) {
		o.corner = math.Inf(1)
	}
	if math.IsInf(o.door, 1) && math.IsInf(o.path, 1) {
		return nil, []Turned{}, 0
	}
	o.walk()
	for i := range o.steps {
		if o.steps[i].Room < o.steps[tight].Room-1e-9 {
			tight = i
		}
	}
	last := tight // the middle of a stretch that is as tight
	for last+1 < len(o.steps) && o.steps[last+1].Room <= o.steps[tight].Room+1e-9 {
		last++
	}
	return o.view(), o.steps, (tight + last) / 2
}

// turns reports that the body turns at the corner; else it goes on sideways.
func (o *outWay) turns() bool {
	room, _ := cornerOf(o.w, o.path, o.corner)
	return room <= o.least()+1e-9
}

// least is the least room of a turn.
func (o *outWay) least() float64 {
	low := math.Inf(1)
	for i := range 10*turns + 1 {
		low = math.Min(low, o.roomAt(math.Pi/2*float64(i)/(10*turns)))
	}
	return low
}

func (o *outWay) roomAt(angle float64) float64 {
	s, c := math.Sincos(angle)
	return o.path*c + o.corner*s - o.w.Long*s*c - o.w.Wide
}

// put adds a place of the body: the corner at its outer side's far end at (0, y) and (x, 0) turned by an angle, shifted.
func (o *outWay) put(angle, dx, dy, room float64, says string) {
	s, c := math.Sincos(angle)
	p, q := scene.Point{dx, dy + o.w.Long*s}, scene.Point{dx + o.w.Long*c, dy}
	nx, ny := s*o.w.Wide, c*o.w.Wide
	o.steps = append(o.steps, Turned{
		Room: room, Says: said.Say(says), Middle: [2]float64{(p[0] + q[0] + nx) / 2, (p[1] + q[1] + ny) / 2},
		Shape: scene.Shape{Form: scene.Polygon, Class: "load", Points: []scene.Point{
			p, q, {q[0] + nx, q[1] + ny}, {p[0] + nx, p[1] + ny},
		}},
	})
}

// walk leads the body through the door, along the path and round the corner.
func (o *outWay) walk() {
	l, w := o.w.Long, o.w.Wide
	side := o.path - w // left of the path's width
	run := l + 0.4     // along the first path
	if !math.IsInf(o.corner, 1) {
		run = math.Max(run, o.corner+0.4)
	}
	angle, arrives := 0.0, 0.0
	if !math.IsInf(o.corner, 1) && !o.turns() {
		if across := math.Min(o.path-l, o.corner-w); across > math.Min(o.path-w, o.corner-l) {
			angle, side, run = math.Pi/2, o.path-l, math.Max(run, w+0.4)
		}
	}
	// through the door it stands in its middle, which is the path's
	middle := 0.0
	if !math.IsInf(o.path, 1) {
		middle = math.Max(0, side/2)
	}
	along := func(from, to, y0, y1, room float64, says string, n int) {
		for i := range n {
			t := float64(i) / float64(n)
			o.put(angle, from+(to-from)*t, y0+(y1-y0)*t, room, says)
		}
	}
	if !math.IsInf(o.door, 1) {
		o.doorAt = run + 0.1
		if angle != 0 {
			o.doorAt = run + w // it is turned behind the door
		}
		through, was := math.Min(o.door-w, o.high-o.w.High), angle
		angle = 0
		along(o.doorAt+0.3, o.doorAt-l, middle, middle, through, "in the door", places)
		angle = was
		arrives = math.Max(0, math.Min(o.doorAt-l, run))
	} else {
		arrives = run
	}
	if !math.IsInf(o.path, 1) {
		along(arrives, 0, middle, 0, side, "beside it on the path", places)
	}
	switch {
	case math.IsInf(o.corner, 1):
		if math.IsInf(o.path, 1) {
			return
		}
		o.put(angle, 0, 0, side, "beside it on the path")
	case o.turns():
		for i := range turns + 1 {
			t := math.Pi / 2 * float64(i) / turns
			o.put(t, 0, 0, o.roomAt(t), "to the inner corner")
		}
		angle = math.Pi / 2
		o.put(angle, 0, 0.5, o.corner-w, "beside it behind the corner")
	default:
		behind := o.corner - l*math.Cos(angle) - w*math.Sin(angle)
		for i := range places + 1 {
			o.put(
				angle,
				0,
				1.2*float64(i)/places*math.Max(o.path, 0.5),
				math.Min(side, behind),
				"as it goes on sideways",
			)
		}
	}
}

// view is the way out itself.
func (o *outWay) view() *scene.View {
	v := &scene.View{ID: "path", Title: said.Say("The way out from above"), Shapes: []scene.Shape{}}
	low, high := scene.Point{0, 0}, scene.Point{0, 0}
	for i := range o.steps {
		for _, p := range o.steps[i].Shape.Points {
			for k := range p {
				low[k], high[k] = math.Min(low[k], p[k]), math.Max(high[k], p[k])
			}
		}
	}
	wide := o.path
	if math.IsInf(wide, 1) {
		wide = math.Max(o.door, o.w.Wide) // no wall beside it
	}
	if !math.IsInf(o.corner, 1) {
		high[1] = math.Max(high[1], o.path+0.8)
	} else {
		high[1] = math.Max(high[1], wide+0.2)
	}
	line := func(x0, y0, x1, y1 float64) { v.Shapes = append(v.Shapes, scene.Line("ground", x0, y0, x1, y1)) }
	end := high[0]
	if !math.IsInf(o.door, 1) {
		end = o.doorAt
		middle := wide / 2
		if math.IsInf(o.path, 1) {
			middle = o.w.Wide / 2
		}
		line(end, middle-o.door/2-0.4, end, middle-o.door/2)
		line(end, middle+o.door/2, end, middle+o.door/2+0.4)
		low[1], high[1] = math.Min(low[1], middle-o.door/2-0.4), math.Max(high[1], middle+o.door/2+0.4)
	}
	switch {
	case !math.IsInf(o.corner, 1):
		line(0, 0, 0, high[1])
		line(0, 0, end, 0)
		line(o.corner, o.path, o.corner, high[1])
		line(o.corner, o.path, math.Max(end, o.corner), o.path)
	case !math.IsInf(o.path, 1):
		line(0, 0, end, 0)
		line(0, o.path, end, o.path)
	}
	v.Min, v.Max = scene.Point{low[0] - 0.1, low[1] - 0.1}, scene.Point{high[0] + 0.1, high[1] + 0.1}
	return v
}
