package study

import (
	"cmp"
	"math"
	"slices"

	"zygonos/core/lang/finding"
	"zygonos/core/lang/said"
	"zygonos/core/rig"
)

// toEven are the ways to bring the wheels even: one load across, all of them, two that change
// sides, one turned round. docs/method/fixes.md.
func toEven(r *rig.Rig) []finding.Way {
	if r.Bears == nil || r.Layout == nil {
		return nil
	}
	return slices.Concat(acrossDeck(r), allAcross(r), swapSides(r), turnAcross(r))
}

// aside is Σm·y of all that stands on the wheels, kg·m to the right.
func aside(r *rig.Rig) float64 {
	sum := 0.0
	for i := range r.Beam.Terms {
		sum += r.Beam.Terms[i].Amount.Nominal * r.Beam.Terms[i].Side.Nominal
	}
	return sum
}

// acrossDeck slides one load across so that the wheels bear alike:
// Δ = −Σmy/m of that load, within the deck.
func acrossDeck(r *rig.Rig) []finding.Way {
	side := aside(r)
	var out []finding.Way
	for i := range r.Items {
		it := &r.Items[i]
		m := r.Moves(i).Mass
		if it.Part || it.Pinned || it.Mass == nil || m <= 0 {
			continue
		}
		edge := max(0, r.DeckWidth()/2-(it.Right-it.Left)/2)
		at := float64(it.At.Right)
		goal := at - side/m
		if it.OnDeck {
			goal = min(max(goal, min(-edge, at)), max(edge, at))
		}
		goal = math.Round(goal*100) / 100
		d := goal - at
		if math.Abs(d) < 0.0099 || blocked(r, it, d) {
			continue
		}
		out = append(out, wayOut(finding.Variant{
			Name: said.Say(
				"slide % % to the "+sideOf(d),
				said.Name(it.Name, "the load"),
				said.Length(math.Abs(d)),
			),
			Patch: setPlace(it, "right", at, goal),
		}, math.Abs(d)*(1+m/500)))
	}
	return out
}

// blocked reports whether the item, shifted across by d, would stand in another.
func blocked(r *rig.Rig, it *rig.Item, d float64) bool {
	moved := *it
	moved.Left, moved.Right = moved.Left+min(0, d), moved.Right+max(0, d)
	for i := range r.Items {
		o := &r.Items[i]
		if o != it && !o.Part && moved.Overlaps(o) && moved.Front < o.Rear-1e-9 && o.Front < moved.Rear-1e-9 &&
			!it.Overlaps(o) {
			return true
		}
	}
	return false
}

// sideOf is the way across.
func sideOf(d float64) string {
	if d < 0 {
		return "left"
	}
	return "right"
}

// allAcross slides all loads of the deck alike: Δ = −Σmy/Σm of those, until the first of them
// meets the deck's side or what does not move.
func allAcross(r *rig.Rig) []finding.Way {
	roots, rides := movers(r)
	if len(roots) < 2 {
		return nil
	}
	half, sum := r.DeckWidth()/2, 0.0
	least, most := math.Inf(-1), math.Inf(1)
	for _, i := range roots {
		it := &r.Items[i]
		sum += r.Moves(i).Mass
		least, most = max(least, min(0, -half-it.Left)), min(most, max(0, half-it.Right))
		for k := range r.Items {
			o := &r.Items[k]
			if rides[k] || o.Open || it.Front >= o.Rear-1e-9 || o.Front >= it.Rear-1e-9 ||
				it.Bottom >= o.Top-1e-9 ||
				o.Bottom >= it.Top-1e-9 {
				continue
			}
			if o.Right <= it.Left+1e-9 {
				least = max(least, o.Right-it.Left)
			} else if o.Left >= it.Right-1e-9 {
				most = min(most, o.Left-it.Right)
			}
		}
	}
	d := min(max(-aside(r)/sum, least), most)
	d = math.Trunc(d*100) / 100
	if math.Abs(d) < 0.0099 {
		return nil
	}
	var c finding.Way
	c.Name = said.Say("slide all loads % to the "+sideOf(d), said.Length(math.Abs(d)))
	c.Effort = math.Abs(d)*(1+sum/500) + 0.2*float64(len(roots))
	for _, i := range roots {
		it := &r.Items[i]
		c.Patch = append(c.Patch, setPlace(it, "right", float64(it.At.Right), round(float64(it.At.Right)+d))...)
	}
	return []finding.Way{c}
}

// swapSides let two loads take each other's place across, where both stay on the deck.
func swapSides(r *rig.Rig) []finding.Way {
	roots, rides := movers(r)
	root, half, now := rootsOf(r), r.DeckWidth()/2, aside(r)
	var found []moved
	for n, i := range roots {
		for _, k := range roots[n+1:] {
			a, b := &r.Items[i], &r.Items[k]
			d := (b.Left+b.Right)/2 - (a.Left+a.Right)/2
			ma, mb := r.Moves(i).Mass, r.Moves(k).Mass
			left := math.Abs(now + (ma-mb)*d)
			if math.Abs(d) < 0.02 ||
				max(math.Abs(a.Left+d), math.Abs(a.Right+d), math.Abs(b.Left-d), math.Abs(b.Right-d)) > half+1e-9 ||
				left > math.Abs(now)-1 ||
				collides(r, root, rides, i, 0, d, k, 0, -d) {
				continue
			}
			var c finding.Way
			c.Name = said.Say("swap % and % across", said.Name(a.Name, "a load"), said.Name(b.Name, "another"))
			c.Effort = 1 + math.Abs(d)*(2+(ma+mb)/500)
			c.Patch = append(setPlace(a, "right", float64(a.At.Right), round(float64(a.At.Right)+d)),
				setPlace(b, "right", float64(b.At.Right), round(float64(b.At.Right)-d))...)
			found = append(found, moved{c, left})
		}
	}
	return evener(found)
}

// turnAcross turn one load end for end where its weight does not lie on its middle line: that
// carries it across by twice its distance from there.
func turnAcross(r *rig.Rig) []finding.Way {
	roots, _ := movers(r)
	root, now := rootsOf(r), aside(r)
	var found []moved
	for _, i := range roots {
		it, b := &r.Items[i], r.Moves(i)
		alone := true // what rides on it would turn with it
		for n := range r.Items {
			alone = alone && (n == i || root[n] != i)
		}
		left := math.Abs(now + b.Mass*(it.Left+it.Right-2*b.Y))
		if !alone || left > math.Abs(now)-1 {
			continue
		}
		turn := (r.Layout.Placements[it.ID].Turn + 180) % 360
		found = append(found, moved{wayOut(finding.Variant{
			Name:  said.Say("turn % round", said.Name(it.Name, "the load")),
			Patch: []finding.Op{{Op: "add", Path: it.PlacePath + "/turn", Value: turn}},
		}, 1.5+b.Mass/300), left})
	}
	return evener(found)
}

// evener are those that leave the least Σm·y, a few.
func evener(found []moved) []finding.Way {
	slices.SortStableFunc(found, func(a, b moved) int { return cmp.Compare(a.miss, b.miss) })
	var out []finding.Way
	for _, m := range found[:min(len(found), maxFixes)] {
		out = append(out, m.Way)
	}
	return out
}
