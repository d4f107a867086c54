package rig

import (
	"zygonos/core/lang/said"
	"zygonos/core/lang/scene"
	"zygonos/core/parts"
	"zygonos/core/plan"
)

// rackOf is how a part that is on is built; nil for other things.
func (r *Rig) rackOf(it *Item) *plan.Rack {
	if !it.Part {
		return nil
	}
	return r.Plan.Parts[it.ID].Rack
}

// upright draws a rack's posts and bars from the side or from behind. Each tier is
// a thing of its own, so that it can be taken.
func (r *Rig) upright(it *Item, rk *plan.Rack, side bool) []scene.Shape {
	var out []scene.Shape
	mid := (it.Left + it.Right) / 2
	bar, post := float64(rk.Bar.Height), float64(rk.Post.Width)
	if post == 0 {
		post = float64(rk.Post.Height)
	}
	at := parts.PostsAt(rk)
	for i := range at {
		at[i] += mid
	}
	if side {
		at = parts.FramesAt(rk)
		for i := range at {
			at[i] += it.Front
		}
	}
	top := it.Bottom
	ids := plan.Ordered(rk.Tiers, func(t plan.Tier) int { return t.Order })
	for _, id := range ids {
		top = max(top, it.Bottom+float64(rk.Tiers[id].Up)-bar)
	}
	for _, u := range at {
		out = append(out, scene.Rect("post", it.Path, u-post/2, -top, u+post/2, -it.Bottom))
	}
	for _, id := range ids {
		t := rk.Tiers[id]
		z := it.Bottom + float64(t.Up)
		path := tierPath(it, id)
		if !side {
			half := float64(t.Length) / 2
			out = append(out, scene.Rect("bar", path, mid-half, -z, mid+half, -(z-bar)))
			for _, b := range parts.BraceLines(rk, t) {
				out = append(
					out,
					scene.Line("brace", mid+b[0][0], -(it.Bottom+b[0][1]), mid+b[1][0], -(it.Bottom+b[1][1])),
				)
			}
			continue
		}
		wide := max(float64(rk.Bar.Width), bar)
		for _, u := range at {
			out = append(out, scene.Rect("bar", path, u-wide/2, -z, u+wide/2, -(z-bar)))
		}
	}
	return out
}

func tierPath(it *Item, tier string) string { return it.Path + "/rack/tiers/" + tier }

// rackHandles are where tiers and hulls of racks are taken in a view from behind:
// a tier up and down, a hull across.
func (r *Rig) rackHandles() []scene.Handle {
	if r.Layout == nil {
		return nil
	}
	var out []scene.Handle
	for i := range r.Items {
		it := &r.Items[i]
		if rk := r.rackOf(it); rk != nil {
			for _, id := range plan.Ordered(rk.Tiers, func(t plan.Tier) int { return t.Order }) {
				path := tierPath(it, id)
				out = append(
					out,
					scene.Handle{
						Thing:     path,
						Path:      path + "/up",
						Direction: scene.Point{0, -1},
						At:        float64(rk.Tiers[id].Up),
						Min:       0.05,
						Max:       2.5,
						Step:      0.01,
						Coarse:    0.1,
						Snaps:     []float64{},
						Label:     said.Say("%, tier %, up", said.Name(it.Name, "rack"), said.Name(id, "one")),
					},
				)
			}
			continue
		}
		pl := r.Layout.Placements[it.ID]
		part := r.Plan.Parts[pl.ID]
		if it.Part || it.Pinned || pl.On != plan.OnPart || part.Rack == nil {
			continue
		}
		slot, ok := part.Slots[pl.Slot]
		if !ok {
			continue
		}
		out = append(
			out,
			scene.Handle{
				Thing:     it.Path,
				Path:      "/parts/" + pl.ID + "/slots/" + pl.Slot + "/at/right",
				Direction: rightward,
				At:        float64(slot.At.Right),
				Min:       -1.4,
				Max:       1.4,
				Step:      0.01,
				Coarse:    0.1,
				Snaps:     []float64{0},
				Label:     said.Say("% across the rack", said.Name(it.Name, "load")),
			},
		)
	}
	return out
}

// rackTargets are the other places of its rack for each hull that lies on one: who
// lies there takes its place.
func (r *Rig) rackTargets() []scene.Target {
	if r.Layout == nil {
		return nil
	}
	type place struct{ part, slot string }
	in, frames := map[place]*Item{}, map[string]*Item{}
	for i := range r.Items {
		it := &r.Items[i]
		if it.Part {
			frames[it.ID] = it
		} else if pl := r.Layout.Placements[it.ID]; pl.On == plan.OnPart {
			in[place{pl.ID, pl.Slot}] = it
		}
	}
	var out []scene.Target
	for i := range r.Items {
		it := &r.Items[i]
		pl := r.Layout.Placements[it.ID]
		part, frame := r.Plan.Parts[pl.ID], frames[pl.ID]
		if it.Part || it.Pinned || pl.On != plan.OnPart || part.Rack == nil || frame == nil {
			continue
		}
		for _, id := range plan.Ordered(part.Slots, func(s plan.Slot) int { return s.Order }) {
			slot := part.Slots[id]
			tier, ok := part.Rack.Tiers[slot.Tier]
			if id == pl.Slot || !ok {
				continue
			}
			y, z := (frame.Left+frame.Right)/2+float64(slot.At.Right), frame.Bottom+float64(tier.Up)
			half := (it.Right - it.Left) / 2
			t := scene.Target{
				Thing: it.Path,
				Min:   scene.Point{y - half, -z - (it.Top - it.Bottom)},
				Max:   scene.Point{y + half, -z},
				Label: said.Say(
					"%",
					said.Name(slot.Name, "a place"),
				),
				Moves: []scene.Move{{Path: it.PlacePath + "/slot", To: id}},
			}
			if other := in[place{pl.ID, id}]; other != nil {
				if other.Pinned {
					continue
				}
				t.Moves = append(t.Moves, scene.Move{Path: other.PlacePath + "/slot", To: pl.Slot})
			}
			out = append(out, t)
		}
	}
	return out
}

// rightward is to the right in a view from behind.
var rightward = scene.Point{1, 0}
