package frame

import (
	"cmp"
	"fmt"
	"math"
	"slices"

	"gonum.org/v1/gonum/spatial/r3"

	"zygonos/core/lang/said"
	"zygonos/core/lang/scene"
	"zygonos/core/parts"
	"zygonos/core/plan"
)

// views are the frame from above, from the side and from behind, to one scale. Members are shaded by how
// much of their strength is used, in fifths, and carry the figure; they are taken where they are seen.
func views(j *judged, p *Picture) []scene.View {
	above := view(j, p, "frame-plan", "From above", vec{Z: 1})
	side := view(j, p, "frame-side", "From the side", vec{Y: -1})
	behind := view(j, p, "frame-rear", "From behind", vec{X: 1})
	out := []scene.View{above, side, behind}
	for k := range out {
		v := &out[k]
		v.Marks = map[string][]float64{}
		v.Handles = slices.Grow(v.Handles, 4*len(waysOf[v.ID])*len(p.Members))
		v.Shapes = slices.Grow(v.Shapes, 2*len(p.Members))
		for _, w := range waysOf[v.ID] {
			v.Marks[w.field] = marks(j.r.Drawn.Bars, -1, w.of)
		}
		for i := range p.Members {
			v.Handles = append(v.Handles, handles(j.r.Drawn.Bars, i, p.Members[i].Path, v.ID)...)
			v.Shapes = append(v.Shapes, grips(&j.r.Drawn.Bars[i], p.Members[i].Path, projections[v.ID])...)
		}
		v.Sense()
	}
	return out
}

// projections are how each view sees a place of the deck's coordinates.
var projections = map[string]func(vec) scene.Point{
	"frame-plan": func(v vec) scene.Point { return scene.Point{v.X, v.Y} },
	"frame-side": func(v vec) scene.Point { return scene.Point{v.X, -v.Z} },
	"frame-rear": func(v vec) scene.Point { return scene.Point{v.Y, -v.Z} },
}

// view draws the members as they are seen along a direction, the farther ones first.
func view(j *judged, p *Picture, id, title string, toward vec) scene.View {
	at := projections[id]
	v := scene.View{
		ID:    id,
		Title: said.Say(title),
		Min:   scene.Point{math.Inf(1), math.Inf(1)},
		Max:   scene.Point{math.Inf(-1), math.Inf(-1)},
	}
	grow := func(q scene.Point, by float64) {
		for k := range 2 {
			v.Min[k], v.Max[k] = math.Min(v.Min[k], q[k]-by), math.Max(v.Max[k], q[k]+by)
		}
	}
	r := j.r
	length, half, under := r.DeckLength(), r.DeckWidth()/2, -r.DeckHeight()
	deck := []scene.Point{}
	for _, c := range []vec{{}, {X: length}} {
		for _, y := range []float64{-half, half} {
			deck = append(deck, at(vec{X: c.X, Y: y, Z: 0.02}), at(vec{X: c.X, Y: y}))
		}
	}
	v.Shapes = append(v.Shapes, scene.Shape{Form: scene.Polygon, Class: "frame-deck", Points: hull(deck)})
	for _, q := range deck {
		grow(q, 0.15)
	}
	if r.DeckFront != nil {
		ball := vec{X: -r.DeckFront.Nominal}
		if h := r.Trailer.CouplingHeight; h != nil {
			ball.Z = float64(*h) + under
		} else if n := r.Drawn.Noses; len(n) > 0 { // as high as what bears it
			ball.Z = r.Drawn.Bars[n[0]].From.Z
		}
		v.Shapes = append(v.Shapes, scene.Disc("ball", at(ball)[0], at(ball)[1], 0.03))
		grow(at(ball), 0.12)
	}
	for _, s := range axles(j, id, at) {
		v.Shapes = append(v.Shapes, s)
		for _, q := range s.Points {
			grow(q, 0.03+s.Radius)
		}
	}
	order := make([]int, len(r.Drawn.Bars))
	for i := range order {
		order[i] = i
	}
	slices.SortStableFunc(order, func(a, b int) int {
		return cmp.Compare(r3.Dot(r.Drawn.Bars[a].Middle(), toward), r3.Dot(r.Drawn.Bars[b].Middle(), toward))
	})
	for _, i := range order {
		b := &r.Drawn.Bars[i]
		if b.Length == 0 {
			continue
		}
		outline := hull(seen(b, at))
		class := "member"
		if u := p.Members[i].Use; u != nil {
			class = fmt.Sprintf("member used-%d", min(5, 1+int(u.Value*5)))
		}
		v.Shapes = append(
			v.Shapes,
			scene.Shape{Form: scene.Polygon, Class: class, Thing: p.Members[i].Path, Points: outline},
		)
		for _, q := range outline {
			grow(q, 0.1)
		}
	}
	if id == "frame-plan" {
		for i := range p.Members {
			if u := p.Members[i].Use; u != nil && u.Value >= 0.2 {
				m := at(labelled(&r.Drawn.Bars[i]))
				v.Shapes = append(
					v.Shapes,
					scene.Label(
						"use",
						"middle",
						m[0],
						m[1],
						said.Say("%", said.Share(math.Round(u.Value*100)/100)),
					),
				)
			}
		}
	}
	return v
}

// labelled is where a member's figure stands: a quarter along it, a drawbar's on its free part.
func labelled(b *parts.FrameBar) vec {
	if front := math.Min(b.From.X, b.To.X); b.Member.Role == plan.RoleDrawbar && math.Abs(b.Axes[0].X) > 0.3 {
		return b.At(math.Max(0, math.Min(b.Length, (front*0.45-b.From.X)/b.Axes[0].X)))
	}
	return b.At(b.Length * 0.22)
}

// tyre is half the width of a tyre as it is drawn, m.
const tyre = 0.08

// axles are the axles and wheels as the rig has them.
func axles(j *judged, id string, at func(vec) scene.Point) (out []scene.Shape) {
	r := j.r
	if r.DeckFront == nil {
		return nil
	}
	radius, half := r.WheelRadius(), 0.6
	if t := r.Trailer.Track; t != nil {
		half = float64(t.Value) / 2
	}
	z := radius - r.DeckHeight()
	for _, x := range r.AxlesAt() {
		x -= r.DeckFront.Nominal
		a, b := at(vec{X: x, Y: -half, Z: z}), at(vec{X: x, Y: half, Z: z})
		if id == "frame-side" {
			out = append(out, scene.Disc("frame-wheel", a[0], a[1], radius))
			continue
		}
		out = append(out, scene.Line("axle", a[0], a[1], b[0], b[1]))
		for _, y := range []float64{-half, half} {
			wheel := []scene.Point{}
			for k := range 8 { // its corners
				sign := func(bit int) float64 { return float64(k>>bit&1)*2 - 1 }
				wheel = append(wheel, at(vec{X: x + sign(0)*radius, Y: y + sign(1)*tyre, Z: z + sign(2)*radius}))
			}
			out = append(out, scene.Shape{Form: scene.Polygon, Class: "frame-wheel", Points: hull(wheel)})
		}
	}
	return out
}

// seen are the corners of a bar.
func seen(b *parts.FrameBar, at func(vec) scene.Point) (out []scene.Point) {
	for _, end := range []vec{b.From, b.To} {
		for _, y := range []float64{-b.Wide / 2, b.Wide / 2} {
			for _, z := range []float64{-b.High / 2, b.High / 2} {
				out = append(out, at(r3.Add(end, r3.Add(r3.Scale(y, b.Axes[1]), r3.Scale(z, b.Axes[2])))))
			}
		}
	}
	return out
}

// hull is the outline of points: Andrew's monotone chain.
func hull(ps []scene.Point) []scene.Point {
	ps = slices.Clone(ps)
	slices.SortFunc(
		ps,
		func(a, b scene.Point) int { return cmp.Or(cmp.Compare(a[0], b[0]), cmp.Compare(a[1], b[1])) },
	)
	turn := func(o, a, b scene.Point) float64 { return (a[0]-o[0])*(b[1]-o[1]) - (a[1]-o[1])*(b[0]-o[0]) }
	half := func(ps []scene.Point) (out []scene.Point) {
		for _, p := range ps {
			for len(out) > 1 && turn(out[len(out)-2], out[len(out)-1], p) <= 1e-12 {
				out = out[:len(out)-1]
			}
			out = append(out, p)
		}
		return out
	}
	lower := half(ps)
	slices.Reverse(ps)
	upper := half(ps)
	return append(lower[:len(lower)-1], upper[:len(upper)-1]...)
}

// ways are what moves with the two directions of a view: field of a member's end, and its sign.
type way struct {
	field     string
	to        scene.Point
	low, high float64
	of        func(plan.FramePoint) float64
}

var (
	along  = way{"back", scene.Point{1, 0}, -12, 25, func(p plan.FramePoint) float64 { return float64(p.Back) }}
	beam   = way{"right", scene.Point{0, 1}, -6, 6, func(p plan.FramePoint) float64 { return float64(p.Right) }}
	abeam  = way{"right", scene.Point{1, 0}, -6, 6, beam.of}
	upward = way{"up", scene.Point{0, -1}, -3, 4, func(p plan.FramePoint) float64 { return float64(p.Up) }}
)

// waysOf are those of each view.
var waysOf = map[string][2]way{
	"frame-plan": {along, beam}, "frame-side": {along, upward}, "frame-rear": {abeam, upward},
}

// handles take a member in a view: both its ends move alike, and each end by itself where it is gripped. What
// lies across snaps to the ends of others and to midway between two of them, what lies along to where others
// end; a gripped end snaps both ways.
func handles(bars []parts.FrameBar, i int, path, view string) (out []scene.Handle) {
	b := &bars[i]
	label := said.Say("%", said.Name(b.Member.Name, "a member"))
	ends := [2]plan.FramePoint{b.Member.From, b.Member.To}
	out = make([]scene.Handle, 0, 4*len(waysOf[view])) // the member and its grip, at both ends
	for _, w := range waysOf[view] {
		level := math.Abs(w.of(ends[0])-w.of(ends[1])) < 1e-3
		for k, end := range ends {
			h := scene.Handle{
				Thing: path, Path: path + endNames[k] + "/" + w.field, Direction: w.to, At: w.of(end),
				Min: w.low, Max: w.high, Step: 0.005, Coarse: 0.05, Label: label,
			}
			if level && view == "frame-plan" { // where the ends differ each would snap by itself
				h.Snaps = marks(bars, i, w.of)
			}
			out = append(out, h)
			h.Thing, h.Snaps, h.Marks = path+endNames[k], nil, w.field
			h.Label = append(slices.Clone(label), said.Say([2]string{", where it begins", ", where it ends"}[k])...)
			out = append(out, h)
		}
	}
	return out
}

// endNames are the ends' keys.
var endNames = [2]string{"/from", "/to"}

// grips are the discs by which a member's ends are taken.
func grips(b *parts.FrameBar, path string, at func(vec) scene.Point) (out []scene.Shape) {
	for k, end := range [2]vec{b.From, b.To} {
		p := at(end)
		g := scene.Disc("grip", p[0], p[1], 0.03)
		g.Thing = path + endNames[k]
		out = append(out, g)
	}
	return out
}

// marks are the places of other members' ends along one direction and the middles between neighbours, so
// that a member comes to stand where it can be built. A member whose ends differ there has none: each end
// would snap by itself.
func marks(bars []parts.FrameBar, own int, of func(plan.FramePoint) float64) (out []float64) {
	for i := range bars {
		if i != own {
			out = append(out, of(bars[i].Member.From), of(bars[i].Member.To))
		}
	}
	slices.Sort(out)
	out = slices.CompactFunc(out, func(a, b float64) bool { return math.Abs(b-a) < 1e-3 })
	for i, n := 1, len(out); i < n; i++ {
		out = append(out, (out[i-1]+out[i])/2)
	}
	slices.Sort(out)
	return out
}
