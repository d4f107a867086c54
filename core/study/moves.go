package study

import (
	"cmp"
	"math"
	"slices"

	"zygonos/core/lang/finding"
	"zygonos/core/lang/said"
	"zygonos/core/plan"
	"zygonos/core/rig"
)

// Of moves that come near the target, so many are followed by a second one.
const mostFollowed = 6

// near is how near to its target, kg, needs no second move.
const near = 2

// toTarget are the ways to bring the ball load to target kg by moving what stands on the
// trailer: one load, all of them, two that change places, one turned round; and, where that
// does not do it alone, a second move: all together, or the axle. docs/method/fixes.md.
func toTarget(r *rig.Rig, target float64) []finding.Way {
	if r.Bears == nil || r.Layout == nil {
		return nil
	}
	one := slices.Concat(slideTo(r, target), together(r, target), swaps(r, target), turns(r, target))
	return append(one, followed(r, one, target)...)
}

// movers are the loads that stand on the deck and are not pinned, with all that rides on them;
// rides tells of every item whether it goes with one of them.
func movers(r *rig.Rig) (roots []int, rides []bool) {
	root := rootsOf(r)
	free := func(i int) bool {
		it := &r.Items[i]
		return root[i] == i && !it.Part && !it.Pinned && it.OnDeck && it.Mass != nil && r.Moves(i).Mass > 0
	}
	rides = make([]bool, len(r.Items))
	for i := range r.Items {
		if free(i) {
			roots = append(roots, i)
		}
		rides[i] = free(root[i])
	}
	return roots, rides
}

// together slides all loads of the deck alike: Δ = (R_ball − target)·L/Σm, until the first of
// them meets the deck's edge or what does not move.
func together(r *rig.Rig, target float64) []finding.Way {
	roots, _ := movers(r)
	sum := 0.0
	for _, i := range roots {
		sum += r.Moves(i).Mass
	}
	if !(sum > 0) {
		return nil
	}
	return slideTogether(r, (r.Bears.Ball.Nominal-target)*r.Axle.Nominal/sum)
}

// slideTogether slides all loads of the deck alike by d, m, to the rear, or as far as they go.
func slideTogether(r *rig.Rig, d float64) []finding.Way {
	roots, rides := movers(r)
	if len(roots) < 2 {
		return nil
	}
	sum := 0.0
	least, most := math.Inf(-1), math.Inf(1)
	for _, i := range roots {
		it := &r.Items[i]
		sum += r.Moves(i).Mass
		from, to := r.Room(it)
		least, most = max(least, from-float64(it.At.Back)), min(most, to-float64(it.At.Back))
		for k := range r.Items {
			o := &r.Items[k]
			if rides[k] || !it.Overlaps(o) {
				continue
			}
			if o.Rear <= it.Front+1e-6 {
				least = max(least, o.Rear-it.Front)
			} else if o.Front >= it.Rear-1e-6 {
				most = min(most, o.Front-it.Rear)
			}
		}
	}
	d = math.Round(min(max(d, least), most)*100) / 100
	if d < least-1e-9 {
		d += 0.01
	} else if d > most+1e-9 {
		d -= 0.01
	}
	if least > most || math.Abs(d) < 0.0099 {
		return nil
	}
	var c finding.Way
	c.Name = said.Say("slide all loads % "+wayOf(d), said.Length(math.Abs(d)))
	c.Effort = math.Abs(d)*(1+sum/500) + 0.2*float64(len(roots))
	for _, i := range roots {
		it := &r.Items[i]
		c.Patch = append(c.Patch, setPlace(it, "back", float64(it.At.Back), round(float64(it.At.Back)+d))...)
	}
	return []finding.Way{c}
}

// wayOf is the way along the trailer.
func wayOf(d float64) string {
	if d < 0 {
		return "forward"
	}
	return "back"
}

// nearer are the candidates that bring the ball load nearer to its target, the nearest first.
func nearer(r *rig.Rig, target float64, found []moved) []finding.Way {
	now := math.Abs(r.Bears.Ball.Nominal - target)
	slices.SortStableFunc(found, func(a, b moved) int { return cmp.Compare(a.miss, b.miss) })
	var out []finding.Way
	for _, m := range found {
		if m.miss < now-0.5 && len(out) < maxFixes {
			out = append(out, m.Way)
		}
	}
	return out
}

// moved is a way out with how far from its target the ball load is then, kg.
type moved struct {
	finding.Way
	miss float64
}

// swaps let two loads change places within the stretch that both take, each with the other's
// place across.
func swaps(r *rig.Rig, target float64) []finding.Way {
	roots, rides := movers(r)
	root := rootsOf(r)
	var found []moved
	for n, i := range roots {
		for _, k := range roots[n+1:] {
			a, b := &r.Items[i], &r.Items[k]
			if b.Front < a.Front {
				a, b, i, k = b, a, k, i
			}
			da, db := max(a.Rear, b.Rear)-a.Rear, a.Front-b.Front
			across := (b.Left+b.Right)/2 - (a.Left+a.Right)/2
			if collides(r, root, rides, i, da, across, k, db, -across) {
				continue
			}
			ma, mb := r.Moves(i).Mass, r.Moves(k).Mass
			ball := r.Bears.Ball.Nominal - (ma*da+mb*db)/r.Axle.Nominal
			var c finding.Way
			c.Name = said.Say(
				"swap % and %",
				said.Name(a.Name, "a load"),
				said.Name(b.Name, "another"),
			)
			c.Effort = 1 + math.Abs(da)*(1+ma/500) + math.Abs(db)*(1+mb/500)
			for _, m := range []struct {
				it    *rig.Item
				d, to float64
			}{{a, da, across}, {b, db, -across}} {
				c.Patch = append(
					c.Patch,
					setPlace(m.it, "back", float64(m.it.At.Back), round(float64(m.it.At.Back)+m.d))...)
				if math.Abs(m.to) > 1e-9 {
					c.Patch = append(
						c.Patch,
						setPlace(m.it, "right", float64(m.it.At.Right), round(float64(m.it.At.Right)+m.to))...)
				}
			}
			found = append(found, moved{c, math.Abs(ball - target)})
		}
	}
	return nearer(r, target, found)
}

func round(v float64) float64 { return math.Round(v*1e4) / 1e4 }

// collides reports whether loads i and k with what rides on them, moved so, would stand in
// each other, in anything else or beyond the deck's ends.
func collides(r *rig.Rig, root []int, rides []bool, i int, di, yi float64, k int, dk, yk float64) bool {
	at := func(n int) rig.Item {
		it := r.Items[n]
		d, y := 0.0, 0.0
		switch root[n] {
		case i:
			d, y = di, yi
		case k:
			d, y = dk, yk
		}
		it.Front, it.Rear, it.Left, it.Right = it.Front+d, it.Rear+d, it.Left+y, it.Right+y
		return it
	}
	for n := range r.Items {
		if root[n] != i && root[n] != k {
			continue
		}
		a := at(n)
		if from, to := r.Room(&r.Items[n]); root[n] == n {
			if back := float64(a.At.Back) + a.Front - r.Items[n].Front; back < from-1e-9 || back > to+1e-9 {
				return true
			}
		}
		for m := range r.Items {
			if m == n || root[m] == root[n] {
				continue
			}
			b := at(m)
			if a.Overlaps(&b) && a.Front < b.Rear-1e-9 && b.Front < a.Rear-1e-9 {
				return true
			}
		}
	}
	return false
}

// turns turn one load end for end where its weight does not lie in its middle: that carries it
// by twice its distance from there.
func turns(r *rig.Rig, target float64) []finding.Way {
	var found []moved
	roots, rides := movers(r)
	root := rootsOf(r)
	for _, i := range roots {
		it := &r.Items[i]
		alone := true // what rides on it would turn with it
		for n := range r.Items {
			alone = alone && (n == i || root[n] != i)
		}
		b := r.Moves(i)
		d := it.Front + it.Rear - 2*b.X
		if !alone || !rides[i] || math.Abs(d) < 0.02 {
			continue
		}
		pl := r.Layout.Placements[it.ID]
		found = append(found, moved{wayOut(finding.Variant{
			Name:  said.Say("turn % round", said.Name(it.Name, "the load")),
			Patch: []finding.Op{{Op: "add", Path: it.PlacePath + "/turn", Value: (pl.Turn + 180) % 360}},
		}, 1.5+b.Mass/300), math.Abs(r.Bears.Ball.Nominal - b.Mass*d/r.Axle.Nominal - target)})
	}
	return nearer(r, target, found)
}

// followed lets a first move be followed by a second: all loads slid, or the axle moved.
func followed(r *rig.Rig, first []finding.Way, target float64) []finding.Way {
	first = slices.Clone(first)
	slices.SortStableFunc(first, func(a, b finding.Way) int { return cmp.Compare(a.Effort, b.Effort) })
	share := target / r.Bears.Mass.Nominal
	var out []finding.Way
	for _, c := range first[:min(len(first), mostFollowed)] {
		next, err := plan.Apply(r.Plan, c.Patch)
		if err != nil || len(plan.Clean(next)) > 0 {
			continue
		}
		then := rig.Resolve(next, r.Scope.Trailer, r.Scope.Outing)
		if then == nil || then.Bears == nil || math.Abs(then.Bears.Ball.Nominal-target) < near {
			continue
		}
		seconds := together(then, target)
		if a, ok := moveAxle(then, share); ok {
			seconds = append(seconds, a)
		}
		for _, s := range seconds {
			v := finding.Variant{
				Name:  slices.Concat(c.Name, said.Say(", and "), s.Name),
				Patch: slices.Concat(c.Patch, s.Patch),
			}
			out = append(out, wayOut(v, c.Effort+s.Effort+1))
		}
	}
	return out
}
