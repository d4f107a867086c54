package lashing

import (
	"cmp"
	"math"
	"slices"

	"zygonos/core/finding"
	"zygonos/core/norms"
	"zygonos/core/plan"
	"zygonos/core/quantity"
	"zygonos/core/rig"
	"zygonos/core/said"
)

// Better is a change to how a load is tied, and what it comes to: g of what is asked where
// statics judge, kg where a rule does.
type Better struct {
	Says       said.Sentence
	Has, Needs float64
	Holds      bool         // in every direction
	Patch      []finding.Op // nil where the plan does not tell of it
	effort     int
}

// At most so many straps more are tried.
const (
	moreInStatics = 4
	moreInRules   = 12
)

// Improve tries what an owner would do where a load gives in direction k (into Directions).
// What holds comes first, the least effort before; else what helps most.
func Improve(r *rig.Rig, l *Load, k int) []Better {
	d := Directions[k]
	judge := func(next *Load) (b Better, ok bool) {
		h, err := Hold(next, d.Push, next.friction())
		b = Better{Has: h.G, Needs: d.Asked, Holds: h.G >= d.Asked*(1-1e-9)}
		b.Holds = b.Holds && ByStatics(next)
		return b, err == nil
	}
	return improve(r, l, k, l.Mass, moreInStatics, judge)
}

// ImproveRule is Improve where a school of rules is not content.
func ImproveRule(r *rig.Rig, l *Load, school string) []Better {
	return improve(r, l, judge(school, l).Toward, 1, moreInRules, func(next *Load) (Better, bool) {
		v := judge(school, next)
		return Better{Has: v.Has, Needs: v.Needs, Holds: v.Holds()}, true
	})
}

// improve tries straps drawn tighter, a mat, points as strong as their straps, hooked
// lower, something against it toward k (−1: nowhere), and up to most straps more, each
// alone; unit is what one of the judge's measure is in kg.
func improve(r *rig.Rig, l *Load, k int, unit float64, most int, judge func(*Load) (Better, bool)) []Better {
	now, ok := judge(l)
	if !ok {
		return nil
	}
	var out []Better
	try := func(effort int, next Load, says said.Sentence, patch []finding.Op) {
		if b, ok := judge(&next); ok && b.Has-b.Needs > now.Has-now.Needs+1e-6 {
			b.Says, b.Patch, b.effort = says, patch, effort
			out = append(out, b)
		}
	}
	place, pl := l.Item.PlacePath, r.Layout.Placements[l.Item.ID]
	if tight, drawn := l.tightened(); drawn > 0 {
		try(0, tight, said.Say("straps drawn to %", said.Mass(drawn)), nil)
	}
	if !pl.Mat && pl.Grip == 0 && pl.On != plan.OnPart {
		next := *l
		next.Grip = norms.Grip{Low: norms.MatGrip, High: norms.MatGrip}
		try(1, next, said.Say("a mat under it"), []finding.Op{{Op: "add", Path: place + "/mat", Value: true}})
	}
	if next, takes := l.wellHooked(); takes > 0 {
		try(2, next, said.Say("tie points that take %, as the strap does", said.Mass(takes)), nil)
	}
	if next, ok := l.lower(); ok {
		try(2, next, said.Say("hooked half as high on it"), nil)
	}
	if k >= 0 && k < 4 && l.Blocks[k] == 0 && pl.On != plan.OnPart {
		next := *l
		takes := math.Ceil(math.Max(0.1*l.Mass, unit*(now.Needs-now.Has))/10) * 10
		next.Blocks[k] = takes
		b := plan.Blocked{}
		*[]*bool{&b.Front, &b.Rear, &b.Left, &b.Right}[k] = true
		m := quantity.Mass(takes)
		b.Takes = &m
		face := [4]string{"in front of it", "behind it", "on its left", "on its right"}[k]
		var patch []finding.Op
		if pl.Blocked == nil { // else its number would speak for other faces too
			patch = []finding.Op{{Op: "add", Path: place + "/blocked", Value: b}}
		}
		try(3, next, said.Say("something that bears % "+face, said.Mass(takes)), patch)
	}
	if b, ok := l.more(most, judge); ok && b.Has-b.Needs > now.Has-now.Needs+1e-6 {
		out = append(out, b)
	}
	slices.SortStableFunc(out, func(a, b Better) int {
		switch {
		case a.Holds != b.Holds && a.Holds:
			return -1
		case a.Holds != b.Holds:
			return 1
		case a.Holds:
			return cmp.Compare(a.effort, b.effort)
		}
		return cmp.Compare(b.Has-b.Needs, a.Has-a.Needs)
	})
	return out
}

// more is the load with straps more like that of its own which helps most: the fewest that
// hold, or most of them.
func (l *Load) more(most int, judge func(*Load) (Better, bool)) (best Better, ok bool) {
	with := func(i, n int) (Better, bool) {
		next := *l
		next.Ties = slices.Clone(l.Ties)
		for range n {
			next.Ties = append(next.Ties, l.Ties[i])
		}
		return judge(&next)
	}
	like := -1
	for i := range l.Ties {
		if b, solved := with(i, 1); solved && (like < 0 || b.Has-b.Needs > best.Has-best.Needs) {
			best, like = b, i
		}
	}
	if like < 0 {
		return best, false
	}
	name := said.Name(l.Ties[like].Name, "this one")
	best.Says, best.effort = said.Say("one more strap like %, at rings of its own", name), 4
	for n := 2; n <= most && !best.Holds; n++ {
		b, solved := with(like, n)
		if !solved || b.Has-b.Needs <= best.Has-best.Needs+1e-6 {
			break
		}
		b.Says, b.effort = said.Say("% more straps like %, at rings of their own", said.Count(n), name), 3+n
		best = b
	}
	return best, true
}

// tightened is the load with its straps over the top drawn to half of their limit, and how
// far the least of them that was slacker is drawn, kg; nought where none was, or a hull bears
// no more.
func (l *Load) tightened() (next Load, drawn float64) {
	next = *l
	next.Ties = slices.Clone(l.Ties)
	for i := range next.Ties {
		if t := &next.Ties[i]; t.Over && t.Eased == 0 && t.Pull < 0.45*t.Limit && l.Item.Shape != "hull" {
			t.Pull = t.Limit / 2
			if drawn == 0 || t.Pull < drawn {
				drawn = t.Pull
			}
		}
	}
	return next, drawn
}

// wellHooked is the load with tie points that take what their straps do, and the most that
// one of those straps takes, kg; nought where all do.
func (l *Load) wellHooked() (next Load, takes float64) {
	next = *l
	next.Ties = slices.Clone(l.Ties)
	for i := range next.Ties {
		if t := &next.Ties[i]; t.Limit < t.Strap {
			t.Limit = t.Strap
			takes = math.Max(takes, t.Strap)
		}
	}
	return next, takes
}

// lower is the load with its direct straps hooked half as high; ok false where there are
// none.
func (l *Load) lower() (next Load, ok bool) {
	next = *l
	next.Ties = slices.Clone(l.Ties)
	for i := range next.Ties {
		t := &next.Ties[i]
		if t.Over || t.Ends[0].Hold[2]-l.Item.Bottom < 0.1 {
			continue
		}
		e := t.Ends[0]
		e.Hold[2] = l.Item.Bottom + (e.Hold[2]-l.Item.Bottom)/2
		v := e.Point.minus(e.Hold)
		n := v.size()
		if n < 1e-6 {
			continue
		}
		e.Along = Vector{v[0] / n, v[1] / n, v[2] / n}
		t.Ends, ok = []End{e}, true
	}
	return next, ok
}

// advise tells the cheapest of the ways that holds, or the one that helps most and what it
// comes to, told by then; what the plan tells of becomes a fix of f.
func advise(ways []Better, f *finding.Finding, kind quantity.Kind, then func(Better) said.Sentence) said.Sentence {
	if len(ways) == 0 {
		return nil
	}
	for _, w := range ways {
		if w.Patch != nil && w.Holds && len(f.Fixes) < 2 {
			f.Fixes = append(f.Fixes, finding.Fix{Variant: finding.Variant{Name: w.Says, Patch: w.Patch}, Outcome: finding.Holds, Figure: finding.Exactly(kind, w.Has)})
		}
	}
	says := said.Say(" Cheapest: ")
	if !ways[0].Holds {
		says = said.Say(" Most helps: ")
	}
	return append(append(append(says, ways[0].Says...), said.Say(", then ")...), append(then(ways[0]), said.Piece{Text: "."})...)
}
