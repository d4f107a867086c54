package rack

import (
	"math"

	"zygonos/core/lang/quantity"
	"zygonos/core/lang/said"
	"zygonos/core/lang/scene"
	"zygonos/core/parts"
	"zygonos/core/plan"
)

// Drawing is a rack to be cut by: one frame from behind and, to its right, all
// frames from the side, with the distances that are taped.
func Drawing(part *plan.Part) scene.View {
	rk := part.Rack
	v := scene.View{ID: "rack", Title: said.Say("%", said.Name(part.Name, "rack")), Shapes: []scene.Shape{}}
	if rk == nil {
		return v
	}
	add := func(s ...scene.Shape) { v.Shapes = append(v.Shapes, s...) }
	posts, frames := parts.PostsAt(rk), parts.FramesAt(rk)
	wide, high := float64(rk.Apart), 0.1
	for _, t := range rk.Tiers {
		wide, high = math.Max(wide, float64(t.Length)), math.Max(high, float64(t.Up))
	}
	post, bar := math.Max(0.01, float64(max(rk.Post.Width, rk.Post.Height))), float64(rk.Bar.Height)
	ids := plan.Ordered(rk.Tiers, func(t plan.Tier) int { return t.Order })
	top := high - bar
	aside := wide/2 + 0.55 // of the side view's front
	for _, y := range posts {
		add(scene.Rect("post", "", y-post/2, -top, y+post/2, 0))
	}
	for _, x := range frames {
		add(scene.Rect("post", "", aside+x-post/2, -top, aside+x+post/2, 0))
	}
	across := func(u0, u1, level float64) {
		add(
			scene.Line("dimension", u0, level, u1, level),
			scene.Line("dimension", u0, level-0.02, u0, level+0.02),
			scene.Line("dimension", u1, level-0.02, u1, level+0.02),
			scene.Label("dimension", "middle", (u0+u1)/2, level+0.045, said.Say("%", said.Length(u1-u0))),
		)
	}
	for i, id := range ids {
		t := rk.Tiers[id]
		half, up := float64(t.Length)/2, float64(t.Up)
		add(scene.Rect("bar", "", -half, -up, half, -(up - bar)))
		for _, b := range parts.BraceLines(rk, t) {
			add(scene.Line("brace", b[0][0], -b[0][1], b[1][0], -b[1][1]))
		}
		for _, x := range frames {
			add(scene.Rect("bar", "", aside+x-post/2, -up, aside+x+post/2, -(up - bar)))
		}
		for _, y := range posts {
			add(scene.Disc("hole", y, -(up - bar/2), 0.006))
		}
		left := -wide/2 - 0.1 - 0.12*float64(i)
		add(scene.Line("dimension", left, 0, left, -up), scene.Line("dimension", left-0.02, -up, left+0.02, -up),
			scene.Label("dimension", "end", left-0.03, -up+0.05, said.Say("%", said.Length(up))))
		add(scene.Label("dimension", "middle", 0, -up-0.04, said.Say("bar %", said.Length(t.Length))))
	}
	add(scene.Line("ground", -wide/2, 0, aside+frames[len(frames)-1]+post, 0))
	if len(posts) > 1 {
		across(posts[0], posts[len(posts)-1], 0.07)
	}
	for i := 1; i < len(frames); i++ {
		across(aside+frames[i-1], aside+frames[i], 0.07)
	}
	add(
		scene.Label("note", "start", -wide/2, 0.2, append(said.Say("Bars: "), parts.SectionText(rk.Bar)...)),
		scene.Label("note", "start", -wide/2, 0.27, append(said.Say("Posts: "), parts.SectionText(rk.Post)...)),
	)
	v.Min = scene.Point{-wide/2 - 0.3 - 0.12*float64(len(ids)), -high - 0.15}
	v.Max = scene.Point{aside + frames[len(frames)-1] + 0.25, 0.35}
	for _, p := range []*float64{&v.Min[0], &v.Min[1], &v.Max[0], &v.Max[1]} {
		if !quantity.Finite(*p) {
			*p = 0
		}
	}
	return v
}
