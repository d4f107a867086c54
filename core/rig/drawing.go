package rig

import (
	"cmp"
	"math"
	"slices"
	"sort"

	"zygonos/core/lang/quantity"
	"zygonos/core/lang/said"
	"zygonos/core/lang/scene"
	"zygonos/core/plan"
)

// Views draws the rig to scale: side, plan and rear, in metres. In the side
// view U is x and V is −z; in the plan view U is x and V is y; in the rear
// view, seen from behind, U is y and V is −z.
func (r *Rig) Views() []scene.View {
	side, above := r.side(), r.top()
	above.Handles = r.handles()
	for _, h := range above.Handles {
		if h.Direction == along {
			side.Handles = append(side.Handles, h)
		}
	}
	behind := r.rear()
	behind.Handles, behind.Targets = r.rackHandles(), r.rackTargets()
	return []scene.View{side, above, behind}
}

// Directions of handles.
var along, across = scene.Point{1, 0}, scene.Point{0, 1}

// Reach gives the ends of the drawing along x: the car's tail to what reaches furthest back.
func (r *Rig) Reach() (from, to float64) {
	_, to = r.Deck()
	if r.Axle != nil {
		to = max(to, r.Axle.Nominal+r.WheelRadius())
	}
	from = -1.5
	for i := range r.Items {
		from, to = min(from, r.Items[i].Front), max(to, r.Items[i].Rear)
	}
	return from - 0.15, to + 0.35
}

// WheelRadius is the stated or read one, or the usual one, m.
func (r *Rig) WheelRadius() float64 {
	if d := r.Trailer.WheelDiameter; d != nil {
		return float64(*d) / 2
	}
	if d := r.Tyre().Diameter; d != nil {
		return float64(*d) / 2
	}
	return 0.3
}

func (r *Rig) height() (height float64) {
	height = r.DeckHeight() + 0.5
	for i := range r.Items {
		height = max(height, r.Items[i].Top)
	}
	return height + 0.25
}

// BallHeight is the stated one, or the usual one, m.
func (r *Rig) BallHeight() float64 {
	if v := r.Vehicle; v != nil && v.BallHeight != nil {
		return float64(*v.BallHeight)
	}
	return min(0.42, r.DeckHeight()-0.08)
}

// LastAxle is the rearmost axle's place behind the ball; the tail of the deck
// where no axle is known.
func (r *Rig) LastAxle() float64 {
	if at := r.AxlesAt(); len(at) > 0 {
		return at[len(at)-1]
	}
	_, tail := r.Deck()
	return tail
}

// AxlesAt gives the places of the axles: one, or a group about the mean.
func (r *Rig) AxlesAt() []float64 {
	if r.Axle == nil {
		return nil
	}
	n, gap := r.Trailer.AxleCount(), 2*r.WheelRadius()+0.12
	if g := r.Trailer.AxleGap; g != nil {
		gap = float64(*g)
	}
	var out []float64
	for i := range n {
		out = append(out, r.Axle.Nominal+(float64(i)-float64(n-1)/2)*gap)
	}
	return out
}

func (r *Rig) side() scene.View {
	from, to := r.Reach()
	h := r.height()
	v := scene.View{
		ID:    "side",
		Title: said.Say("Side view"),
		Min:   scene.Point{from, -h},
		Max:   scene.Point{to, 0.12},
	}
	add := func(s ...scene.Shape) { v.Shapes = append(v.Shapes, s...) }
	bh, deck := r.BallHeight(), r.DeckHeight()
	front, rear := r.Deck()
	wr := r.WheelRadius()
	add(scene.Line("ground", from, 0, to, 0))
	add(r.carTail(from, h)...)
	if o := r.overhang(); -o-0.4 > from {
		add(scene.Disc("car-wheel", -o, -0.33, 0.33))
	}
	add(scene.Line("towbar", -0.3, -bh, 0, -bh))
	for i := range r.Items {
		if rk := r.rackOf(&r.Items[i]); rk != nil {
			add(r.upright(&r.Items[i], rk, true)...)
			continue
		}
		add(r.Items[i].elevation(true)...)
	}
	add(
		scene.Shape{
			Form:  scene.Polyline,
			Class: "drawbar",
			Points: []scene.Point{
				{0, -bh},
				{min(0.25, front), -bh},
				{front, -(deck - 0.07)},
				{rear, -(deck - 0.07)},
			},
		},
	)
	add(scene.Rect("deck", "", front, -deck, rear, -(deck - 0.08)))
	if s := r.Trailer.SideHeight; s != nil && *s > 0 {
		add(scene.Rect("sides", "", front, -(deck + float64(*s)), rear, -deck))
	}
	for _, x := range r.AxlesAt() {
		add(scene.Disc("wheel", x, -wr, wr), scene.Disc("hub", x, -wr, wr*0.45))
	}
	add(scene.Disc("ball", 0, -bh, 0.045))
	if r.Axle != nil {
		axle := scene.Disc("axle-grip", r.Axle.Nominal, -wr, wr)
		axle.Thing = "axle"
		add(axle)
	}
	return v
}

func (r *Rig) overhang() float64 {
	if v := r.Vehicle; v != nil && v.RearOverhang != nil {
		return float64(v.RearOverhang.Value)
	}
	return 1.1
}

func (r *Rig) top() scene.View {
	from, to := r.Reach()
	half := max(r.DeckWidth()/2, 0.9)
	if r.Beam.Track > 0 {
		half = max(half, r.Beam.Track/2+0.12)
	}
	for i := range r.Items {
		half = max(half, r.Items[i].Right, -r.Items[i].Left)
	}
	half += 0.12
	v := scene.View{
		ID:    "plan",
		Title: said.Say("From above"),
		Min:   scene.Point{from, -half},
		Max:   scene.Point{to, half},
	}
	add := func(s ...scene.Shape) { v.Shapes = append(v.Shapes, s...) }
	front, rear := r.Deck()
	w, track := r.DeckWidth()/2, r.WheelTrack()
	add(scene.Line("centreline", from, 0, to, 0))
	add(
		scene.Shape{
			Form:  scene.Polygon,
			Class: "car",
			Points: []scene.Point{
				{from, -0.85},
				{-0.5, -0.85},
				{-0.28, -0.7},
				{-0.24, 0},
				{-0.28, 0.7},
				{-0.5, 0.85},
				{from, 0.85},
			},
		},
	)
	add(scene.Line("towbar", -0.3, 0, 0, 0))
	add(
		scene.Shape{
			Form:   scene.Polyline,
			Class:  "drawbar",
			Points: []scene.Point{{front, -w * 0.7}, {0.12, 0}, {front, w * 0.7}},
		},
		scene.Line("drawbar", 0, 0, front, 0),
	)
	for _, x := range r.AxlesAt() {
		wr := r.WheelRadius()
		add(scene.Line("axle", x, -track/2, x, track/2))
		add(
			scene.Rect("wheel", "", x-wr, -track/2-0.09, x+wr, -track/2+0.09),
			scene.Rect("wheel", "", x-wr, track/2-0.09, x+wr, track/2+0.09),
		)
	}
	add(scene.Rect("deck", "", front, -w, rear, w))
	// Lowest first, so that what lies on top is drawn on top.
	for _, it := range r.sorted(func(a, b *Item) int { return cmp.Compare(a.Bottom, b.Bottom) }) {
		add(it.fromAbove()...)
	}
	add(scene.Disc("ball", 0, 0, 0.045))
	return v
}

// Plain is the trailer with all that is on it, from above, without the car, its
// handles and the ball's surroundings.
func (r *Rig) Plain() []scene.Shape {
	v := r.top()
	return slices.DeleteFunc(v.Shapes, func(s scene.Shape) bool {
		return s.Class == "car" || s.Class == "centreline" || s.Class == "towbar"
	})
}

// Ball is the nominal ball load, kg; zero where it is not known.
func (r *Rig) Ball() float64 {
	if r.Bears == nil {
		return 0
	}
	return r.Bears.Ball.Nominal
}

// sorted gives the items in the order in which they are painted.
func (r *Rig) sorted(by func(a, b *Item) int) []*Item {
	out := make([]*Item, 0, len(r.Items))
	for i := range r.Items {
		out = append(out, &r.Items[i])
	}
	slices.SortStableFunc(out, by)
	return out
}

// WheelTrack is between the middles of the left and the right tyre, m: as taped, else as the deck lets expect, with the
// wheels outside of it.
func (r *Rig) WheelTrack() float64 {
	if r.Beam.Track > 0 {
		return r.Beam.Track
	}
	return max(r.DeckWidth()+0.25, defaultTrack*0.8)
}

func (r *Rig) rear() scene.View {
	h := r.height()
	half := max(r.DeckWidth()/2, r.WheelTrack()/2+0.12, 0.8)
	for i := range r.Items {
		half = max(half, r.Items[i].Right, -r.Items[i].Left)
	}
	half += 0.1
	v := scene.View{
		ID:    "rear",
		Title: said.Say("From behind"),
		Min:   scene.Point{-half, -h},
		Max:   scene.Point{half, 0.12},
	}
	add := func(s ...scene.Shape) { v.Shapes = append(v.Shapes, s...) }
	deck, w, wr, track := r.DeckHeight(), r.DeckWidth()/2, r.WheelRadius(), r.WheelTrack()
	add(scene.Line("ground", -half, 0, half, 0))
	// Furthest from the eye first.
	for _, it := range r.sorted(func(a, b *Item) int { return cmp.Compare(a.Rear, b.Rear) }) {
		if rk := r.rackOf(it); rk != nil {
			add(r.upright(it, rk, false)...)
			continue
		}
		add(it.elevation(false)...)
	}
	add(scene.Line("axle", -track/2, -wr, track/2, -wr))
	for _, y := range []float64{-track / 2, track / 2} {
		add(scene.Rect("wheel", "", y-0.09, -2*wr, y+0.09, 0))
	}
	add(scene.Rect("deck", "", -w, -deck, w, -(deck - 0.08)))
	if s := r.Trailer.SideHeight; s != nil && *s > 0 {
		add(scene.Rect("sides", "", -w, -(deck + float64(*s)), w, -deck))
	}
	if b := r.Bears; b != nil && b.Left != nil {
		// What each side's wheels bear pushes up, to one scale.
		const full = 0.3
		most := max(b.Left.Nominal, b.Right.Nominal, 1)
		v.Max[1] = full + 0.3
		for _, side := range []struct {
			y  float64
			kg float64
			to string
		}{{-track / 2, b.Left.Nominal, "start"}, {track / 2, b.Right.Nominal, "end"}} {
			long := 0.04 + full*max(side.kg, 0)/most
			add(
				scene.Line("reaction", side.y, 0.03+long, side.y, 0.03),
				scene.Shape{
					Form:   scene.Polygon,
					Class:  "reaction-head",
					Points: []scene.Point{{side.y, 0.03}, {side.y - 0.04, 0.1}, {side.y + 0.04, 0.1}},
				},
				scene.Label(
					"reaction-label",
					side.to,
					side.y-math.Copysign(0.1, side.y),
					0.14,
					said.Say("%", said.Mass(side.kg)),
				),
			)
		}
	}
	return v
}

func (i *Item) class() string {
	if i.Part {
		return "part"
	}
	if i.Pinned {
		return "load pinned"
	}
	return "load"
}

// elevation draws the item seen from the side or from behind, and its centre
// of mass.
func (i *Item) elevation(side bool) []scene.Shape {
	a, b, at := i.Left, i.Right, i.Y
	if side {
		a, b, at = i.Front, i.Rear, i.X
	}
	bottom, top := -i.Bottom, -i.Top
	h, w := i.Top-i.Bottom, b-a
	out := []scene.Shape{}
	poly := func(points ...scene.Point) {
		out = append(out, scene.Shape{Form: scene.Polygon, Class: i.class(), Thing: i.Path, Points: points})
	}
	switch {
	case i.Shape == "hull" && side && i.Lean > 0.5 && i.Lean < 2.6: // on edge one sees it from above
		poly(
			scene.Point{a, (top + bottom) / 2},
			scene.Point{a + 0.12*w, top + 0.22*h},
			scene.Point{a + 0.35*w, top},
			scene.Point{b - 0.3*w, top},
			scene.Point{b - 0.08*w, top + 0.25*h},
			scene.Point{
				b,
				(top + bottom) / 2,
			},
			scene.Point{b - 0.08*w, bottom - 0.25*h},
			scene.Point{b - 0.3*w, bottom},
			scene.Point{a + 0.35*w, bottom},
			scene.Point{a + 0.12*w, bottom - 0.22*h},
		)
	case i.Shape == "hull" && side && i.Lean >= 2.6: // upside down
		poly(
			scene.Point{a, bottom},
			scene.Point{a + 0.06*w, bottom - 0.55*h},
			scene.Point{a + 0.2*w, top + 0.06*h},
			scene.Point{a + 0.35*w, top},
			scene.Point{
				b - 0.3*w,
				top,
			},
			scene.Point{b - 0.14*w, top + 0.08*h},
			scene.Point{b - 0.03*w, bottom - 0.5*h},
			scene.Point{b, bottom - 0.02*h},
			scene.Point{b - 0.3*w, bottom - 0.28*h},
			scene.Point{a + 0.3*w, bottom - 0.28*h},
		)
	case i.Shape == "hull" && !side && i.Lean != 0:
		sw, sh, my, mz := i.Section[0], i.Section[1], (a+b)/2, (top+bottom)/2
		c, s := math.Cos(i.Lean), math.Sin(i.Lean)
		var points []scene.Point
		for _, p := range [][2]float64{{-0.5, 0.5}, {-0.4, -0.2}, {-0.18, -0.5}, {0.18, -0.5}, {0.4, -0.2}, {0.5, 0.5}} { // right and up of the middle
			y, z := p[0]*sw, p[1]*sh
			points = append(points, scene.Point{my + y*c + z*s, mz - (z*c - y*s)})
		}
		poly(points...)
	default:
		out = i.outline(side)
	}
	out = append(out, scene.Disc("centre", at, -i.Z, 0.035))
	if side && w > 0.35 {
		label := scene.Label(
			"load-name",
			"middle",
			(a+b)/2,
			(top+bottom)/2,
			said.Say("%", said.Name(i.Name, "load")),
		)
		label.Room = w
		out = append(out, label)
	}
	return out
}

func (i *Item) fromAbove() []scene.Shape {
	return append(i.plan(), scene.Disc("centre", i.X, i.Y, 0.035))
}

// Room is how far an item may stand along its support: from and to of its near
// face in the placement's own measure. An item that fits the deck stays on it;
// a longer one keeps its middle over the deck; one on a part or a load may go
// half its own length either way.
func (r *Rig) Room(i *Item) (from, to float64) {
	if !i.OnDeck {
		half := i.Length() / 2
		return -half, half
	}
	deck := r.DeckLength()
	if i.Length() <= deck {
		return 0, deck - i.Length()
	}
	return -i.Length() / 2, deck - i.Length()/2
}

// Free is how far an item may slide along the deck before it meets its
// neighbours, in the placement's own measure. It holds where it stands.
func (r *Rig) Free(i *Item) (from, to float64) {
	from, to = r.Room(i)
	at := float64(i.At.Back)
	shift := at - i.Front
	for k := range r.Items {
		o := &r.Items[k]
		if o == i || !i.Overlaps(o) {
			continue
		}
		if o.Rear <= i.Front+1e-6 {
			from = max(from, o.Rear+shift)
		} else if o.Front >= i.Rear-1e-6 {
			to = min(to, o.Front-i.Length()+shift)
		}
	}
	return from, to
}

func (r *Rig) handles() []scene.Handle {
	if r.Layout == nil {
		return nil
	}
	var out []scene.Handle
	byRear := r.sorted(func(a, b *Item) int { return cmp.Compare(b.Rear, a.Rear) })
	byFront := r.sorted(func(a, b *Item) int { return cmp.Compare(a.Front, b.Front) })
	for k := range r.Items {
		i := &r.Items[k]
		if i.Pinned {
			continue
		}
		from, to := r.Room(i)
		h := scene.Handle{Thing: i.Path, Path: i.PlacePath + "/at/back", Direction: along, At: float64(i.At.Back),
			Min: from, Max: to, Step: 0.01, Coarse: 0.1, Label: said.Say("% along the deck", said.Name(i.Name, "load")), Snaps: []float64{}}
		shift := float64(i.At.Back) - i.Front
		h.Snaps = append(h.Snaps, from, to)
		if o := nearest(byRear, i, func(o *Item) bool { return o.Rear <= i.X }); o != nil {
			h.Snaps = append(h.Snaps, o.Rear+shift)
		}
		if o := nearest(byFront, i, func(o *Item) bool { return o.Front >= i.X }); o != nil {
			h.Snaps = append(h.Snaps, o.Front-i.Length()+shift)
		}
		out = append(out, h)
		half := max(0, r.DeckWidth()/2-(i.Right-i.Left)/2)
		if half == 0 || !i.OnDeck {
			half = max(0.3, r.DeckWidth()/2)
		}
		out = append(
			out,
			scene.Handle{Thing: i.Path, Path: i.PlacePath + "/at/right", Direction: across, At: float64(i.At.Right),
				Min: -half, Max: half, Step: 0.01, Coarse: 0.1, Snaps: []float64{0}, Label: said.Say("% across the deck", said.Name(i.Name, "load"))},
		)
	}
	if r.Axle != nil && !r.TakesUsual("/couplingToAxle") {
		h := scene.Handle{
			Thing:     "axle",
			Path:      r.AxlePath,
			Direction: along,
			At:        r.Axle.Nominal,
			Step:      0.01,
			Coarse:    0.1,
			Label:     said.Say("axle"),
			Snaps:     []float64{},
		}
		front, rear := r.Deck()
		h.Min, h.Max = max(0.3, front*0.5), rear+0.5
		if m := r.Trailer.AxleMoves; m != nil {
			h.Min, h.Max = float64(m.Min), float64(m.Max)
			if p := float64(m.Pitch); p > 0 {
				h.Step, h.Coarse = p, 3*p
				h.Snaps = holes(m)
			}
		}
		out = append(out, h)
	}
	return out
}

// nearest is the first neighbour in the way of an item among those on one side
// of it; sorted has the nearest first, and all that lie on that side at its end.
func nearest(sorted []*Item, i *Item, beyond func(*Item) bool) *Item {
	at := sort.Search(len(sorted), func(n int) bool { return beyond(sorted[n]) })
	for _, o := range sorted[at:] {
		if o != i && i.Overlaps(o) {
			return o
		}
	}
	return nil
}

// holes are the axle positions that the hanger's holes allow.
func holes(m *plan.AxleMoves) []float64 {
	var out []float64
	n := int(math.Floor(float64(m.Max-m.Min)/float64(m.Pitch) + 1e-9))
	for i := range min(n, 200) + 1 {
		out = append(out, float64(m.Min)+float64(i)*float64(m.Pitch))
	}
	return out
}

// NearestHole rounds an axle position to a hole, where there are holes.
func NearestHole(m *plan.AxleMoves, at quantity.Length) quantity.Length {
	at = min(max(at, m.Min), m.Max)
	if m.Pitch <= 0 {
		return at
	}
	n := math.Round(float64((at - m.Min) / m.Pitch))
	hole := m.Min + quantity.Length(n)*m.Pitch
	if hole > m.Max+1e-9 {
		hole -= m.Pitch
	}
	return hole
}
