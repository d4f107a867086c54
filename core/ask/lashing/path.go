package lashing

import (
	"math"

	"zygonos/core/lang/said"
	"zygonos/core/parts"
	"zygonos/core/plan"
	"zygonos/core/rig"
)

// How near things may come to a strap and a hook, m.
const (
	hookRoom  = 0.01 // of a ring within a load's footprint that a hook still reaches
	standsOn  = 0.06 // of a load's underside over a ring: nearer than that it stands on it
	strapRoom = 0.015
	underEdge = 0.03 // under a load's lower edge for a strap to run beneath it
)

// soft is the share of its box, at each side, that a shape does not fill: a hull tapers and is
// round, a machine is open between its wheels.
func soft(it *rig.Item) float64 {
	if it.Shape == "hull" || it.Shape == "wheels" {
		return 0.25
	}
	return 0
}

// box is what of an item stands in the way of a strap, as its least and its greatest corner.
func box(it *rig.Item) (low, high Vector) {
	wide := strapRoom + soft(it)*(it.Right-it.Left)
	long := strapRoom + soft(it)/2*(it.Rear-it.Front)
	return Vector{
			it.Front + long,
			it.Left + wide,
			it.Bottom + strapRoom,
		}, Vector{
			it.Rear - long,
			it.Right - wide,
			it.Top - strapRoom,
		}
}

// crosses reports whether the straight way from a to b runs through a box.
func crosses(a, b, low, high Vector) bool {
	from, to := 0.0, 1.0
	for k := range 3 {
		d := b[k] - a[k]
		if math.Abs(d) < 1e-12 {
			if a[k] <= low[k] || a[k] >= high[k] {
				return false
			}
			continue
		}
		t0, t1 := (low[k]-a[k])/d, (high[k]-a[k])/d
		if t0 > t1 {
			t0, t1 = t1, t0
		}
		from, to = math.Max(from, t0), math.Min(to, t1)
		if from >= to-1e-9 {
			return false
		}
	}
	return true
}

// covers tells what stands on a tie point so that no hook reaches it; nil where it is free.
func covers(r *rig.Rig, at Vector) *rig.Item {
	for i := range r.Items {
		o := &r.Items[i]
		if o.Open {
			if stake(r, o, at) {
				return o
			}
			continue
		}
		if o.Shape == "wheels" { // a hand reaches between its wheels
			continue
		}
		wide := hookRoom + soft(o)*(o.Right-o.Left)
		within := at[0] > o.Front+hookRoom && at[0] < o.Rear-hookRoom && at[1] > o.Left+wide && at[1] < o.Right-wide
		if within && at[2] > o.Bottom-standsOn && at[2] < o.Top {
			return o
		}
	}
	return nil
}

// stake reports whether a post of a rack stands on a place.
func stake(r *rig.Rig, it *rig.Item, at Vector) bool {
	rk := r.Plan.Parts[it.ID].Rack
	if rk == nil || at[2] < it.Bottom-0.3 || at[2] > it.Top {
		return false
	}
	half, mid := float64(max(rk.Post.Width, rk.Post.Height))/2, (it.Left+it.Right)/2
	for _, x := range parts.FramesAt(rk) {
		for _, y := range parts.PostsAt(rk) {
			if math.Abs(at[0]-it.Front-x) < half && math.Abs(at[1]-mid-y) < half {
				return true
			}
		}
	}
	return false
}

// run is how one end of a strap goes: where it leaves the load, toward which place, and how
// long it is from its first place on the load to its point.
type run struct {
	hold, toward Vector
	long         float64
}

// runs finds the way of one end from the load to a tie point. Over the load it leaves at the
// top edge of that side; where the point lies further in it runs round the lower edge, if
// there is room beneath; where what carries the load is wider it runs over that one's edge.
// Whatever else stands in the way blocks it: why says what.
func (l *Load) runs(r *rig.Rig, from, at Vector, over bool) (w run, why said.Sentence) {
	it := l.Item
	if o := covers(r, at); o != nil {
		return w, said.Say("a tie point that a hook can reach: % stands on this one", said.Name(o.Name, "something"))
	}
	w = run{hold: from, toward: at, long: at.minus(from).size()}
	if over {
		out := 1.0
		if from[1] < (it.Left+it.Right)/2 {
			out = -1
		}
		if (at[1]-from[1])*out < -hookRoom {
			low := it.Bottom
			if soft(it) > 0 { // round its side, not down to its underside
				low = (it.Bottom + it.Top) / 2
			}
			if low-at[2] < underEdge {
				return w, said.Say("a tie point beside it: this one is under %", said.Name(it.Name, "the load"))
			}
			w.hold = Vector{from[0], from[1], low}
			w.long = from[2] - low + at.minus(w.hold).size()
		}
		if c := carrierOf(r, it); c != nil {
			w.over(c, out, at)
		}
	}
	if o := blocks(r, it, w.hold, w.toward); o != nil {
		return w, said.Say("a clear path for the strap: it would run through %", said.Name(o.Name, "something"))
	}
	if w.toward != at {
		if o := blocks(r, it, w.toward, at); o != nil {
			return w, said.Say("a clear path for the strap: it would run through %", said.Name(o.Name, "something"))
		}
	}
	return w, nil
}

// over bends a way round the top edge of what carries the load, where that stands out into it.
func (w *run) over(c *rig.Item, out float64, at Vector) {
	low, high := box(c)
	if !crosses(w.hold, at, low, high) {
		return
	}
	edge := c.Right
	if out < 0 {
		edge = c.Left
	}
	part := 0.5 // of the way along, where it crosses that edge
	if d := at[1] - w.hold[1]; math.Abs(d) > 1e-9 {
		part = math.Min(1, math.Max(0, (edge-w.hold[1])/d))
	}
	w.toward = Vector{w.hold[0] + part*(at[0]-w.hold[0]), edge, c.Top}
	w.long += w.toward.minus(w.hold).size() + at.minus(w.toward).size() - at.minus(w.hold).size()
}

// carrierOf is the load that carries another; nil for one on the deck or on a part.
func carrierOf(r *rig.Rig, it *rig.Item) *rig.Item {
	pl := r.Layout.Placements[it.ID]
	if pl.On != plan.OnLoad {
		return nil
	}
	for i := range r.Items {
		if o := &r.Items[i]; !o.Part && o.ID == pl.ID {
			return o
		}
	}
	return nil
}

// blocks is the first thing but the load itself that a straight way runs through; nil where
// it is free.
func blocks(r *rig.Rig, own *rig.Item, a, b Vector) *rig.Item {
	for i := range r.Items {
		o := &r.Items[i]
		if o == own || o.Open || !o.Part && o.ID == own.ID {
			continue
		}
		if low, high := box(o); crosses(a, b, low, high) {
			return o
		}
	}
	return nil
}

// Runs reports whether a lashing can be hooked and its way is free.
func Runs(r *rig.Rig, l *Load, x plan.Lashing) bool {
	_, _, why := l.ends(r, x)
	return why == nil
}
