package lashing

import (
	"cmp"
	"math"
	"slices"

	"zygonos/core/facts/norms"
	"zygonos/core/lang/finding"
	"zygonos/core/lang/quantity"
	"zygonos/core/lang/said"
	"zygonos/core/plan"
	"zygonos/core/rig"
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

// At most so many straps more are tried; one of them is more work than aStrap.
const (
	aStrap        = 3
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

// A change is one thing that an owner would do to a tied load.
type change struct {
	Better
	apply func(Load) Load
}

// improve tries changes, each alone; where none holds, two at a time. unit is what one of
// the judge's measure is in kg, most how many straps more are tried.
func improve(r *rig.Rig, l *Load, k int, unit float64, most int, judge func(*Load) (Better, bool)) []Better {
	now, ok := judge(l)
	if !ok {
		return nil
	}
	tried := func(c change) (change, bool) {
		next := c.apply(*l)
		b, ok := judge(&next)
		c.Has, c.Needs, c.Holds = b.Has, b.Needs, b.Holds
		return c, ok && b.Has-b.Needs > now.Has-now.Needs+1e-6
	}
	var out []Better
	var single []change
	holds := false
	for _, c := range append(changes(r, l, k, unit*(now.Needs-now.Has)), more(l, most, judge)...) {
		if c, helps := tried(c); helps {
			out, single = append(out, c.Better), append(single, c)
			holds = holds || c.Holds
		}
	}
	if !holds {
		for _, both := range pairs(single) {
			if c, helps := tried(both); helps && c.Holds {
				out = append(out, c.Better)
				break
			}
		}
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

// pairs are changes two at a time, the least effort first.
func pairs(single []change) []change {
	var out []change
	for i, a := range single {
		for _, b := range single[i+1:] {
			if a.effort > aStrap { // straps more, both
				continue
			}
			both := change{
				Better{Says: slices.Concat(a.Says, said.Say(" and "), b.Says), effort: a.effort + b.effort},
				func(l Load) Load { return b.apply(a.apply(l)) },
			}
			if a.Patch != nil && b.Patch != nil {
				both.Patch = slices.Concat(a.Patch, b.Patch)
			}
			out = append(out, both)
		}
	}
	slices.SortStableFunc(out, func(a, b change) int { return cmp.Compare(a.effort, b.effort) })
	return out
}

// changes are straps drawn tighter, a mat, points as strong as their straps, hooked lower,
// and something against it toward k (−1: nowhere) that bears what is lacking, kg.
func changes(r *rig.Rig, l *Load, k int, lacking float64) []change {
	var out []change
	can := func(effort int, says said.Sentence, patch []finding.Op, apply func(Load) Load) {
		out = append(out, change{Better{Says: says, Patch: patch, effort: effort}, apply})
	}
	place, pl := l.Item.PlacePath, r.Layout.Placements[l.Item.ID]
	if _, drawn := l.tightened(); drawn > 0 {
		can(
			0,
			said.Say("straps tightened to %", said.Mass(drawn)),
			nil,
			func(l Load) Load { next, _ := l.tightened(); return next },
		)
	}
	if !pl.Mat && pl.Grip == 0 && pl.On != plan.OnPart {
		can(
			1,
			said.Say("a mat under it"),
			[]finding.Op{{Op: "add", Path: place + "/mat", Value: true}},
			func(l Load) Load {
				l.Grip = norms.Grip{Low: norms.MatGrip, High: norms.MatGrip}
				return l
			},
		)
	}
	if _, takes := l.wellHooked(); takes > 0 {
		can(
			2,
			said.Say("tie points that take %, as the strap does", said.Mass(takes)),
			nil,
			func(l Load) Load { next, _ := l.wellHooked(); return next },
		)
	}
	if _, ok := l.lower(); ok {
		can(2, said.Say("hooked half as high on it"), nil, func(l Load) Load { next, _ := l.lower(); return next })
	}
	if k >= 0 && k < 4 && l.Blocks[k] == 0 && pl.On != plan.OnPart {
		takes := math.Ceil(math.Max(0.1*l.Mass, lacking)/10) * 10
		b := plan.Blocked{}
		*[]*bool{&b.Front, &b.Rear, &b.Left, &b.Right}[k] = true
		m := quantity.Mass(takes)
		b.Takes = &m
		face := [4]string{"in front of it", "behind it", "on its left", "on its right"}[k]
		var patch []finding.Op
		if pl.Blocked == nil { // else its number would speak for other faces too
			patch = []finding.Op{{Op: "add", Path: place + "/blocked", Value: b}}
		}
		can(
			3,
			said.Say("something that can take % "+face, said.Mass(takes)),
			patch,
			func(l Load) Load { l.Blocks[k] = takes; return l },
		)
	}
	return out
}

// more is straps more like that of the load's own which helps most: one, and the fewest
// that hold or most of them.
func more(l *Load, most int, judge func(*Load) (Better, bool)) []change {
	with := func(i, n int) change {
		name := said.Name(l.Ties[i].Name, "this one")
		says := said.Say("% more straps like %, at rings of their own", said.Count(n), name)
		if n == 1 {
			says = said.Say("one more strap like %, at rings of its own", name)
		}
		return change{Better{Says: says, effort: aStrap + n}, func(l Load) Load {
			l.Ties = slices.Clone(l.Ties)
			for range n {
				l.Ties = append(l.Ties, l.Ties[i])
			}
			return l
		}}
	}
	short := func(c change) (float64, bool, bool) {
		next := c.apply(*l)
		b, ok := judge(&next)
		return b.Needs - b.Has, b.Holds, ok
	}
	like, least, holds := -1, math.Inf(1), false
	for i := range l.Ties {
		if v, h, ok := short(with(i, 1)); ok && v < least {
			like, least, holds = i, v, h
		}
	}
	if like < 0 {
		return nil
	}
	out := []change{with(like, 1)}
	n := 1
	for !holds && n < most {
		v, h, ok := short(with(like, n+1))
		if !ok || v >= least-1e-6 {
			break
		}
		n, least, holds = n+1, v, h
	}
	if n > 1 {
		out = append(out, with(like, n))
	}
	return out
}

// tightened is the load with its straps over the top drawn as far as a tightener of their
// kind draws by hand, at most to half of their limit, and how far the least of them that was
// slacker is drawn, kg; zero where none was, or a hull bears no more.
func (l *Load) tightened() (next Load, drawn float64) {
	next = *l
	next.Ties = slices.Clone(l.Ties)
	for i := range next.Ties {
		if t := &next.Ties[i]; t.Over && t.Eased == 0 && t.Pull < 0.9*t.Draws && l.Item.Shape != "hull" {
			t.Pull = t.Draws
			if drawn == 0 || t.Pull < drawn {
				drawn = t.Pull
			}
		}
	}
	return next, drawn
}

// wellHooked is the load with tie points that take what their straps do, and the most that
// one of those straps takes, kg; zero where all do.
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
// comes to, stated by then; what the plan tells of becomes a fix of f.
func advise(ways []Better, f *finding.Finding, kind quantity.Kind, then func(Better) said.Sentence) said.Sentence {
	if len(ways) == 0 {
		return nil
	}
	for _, w := range ways {
		if w.Patch != nil && w.Holds && len(f.Fixes) < 2 {
			f.Fixes = append(
				f.Fixes,
				finding.Fix{
					Variant: finding.Variant{Name: w.Says, Patch: w.Patch},
					Outcome: finding.Holds,
					Figure:  finding.Exactly(kind, w.Has),
				},
			)
		}
	}
	says := said.Say(" Cheapest: ")
	if !ways[0].Holds {
		says = said.Say(" Most helps: ")
	}
	return append(
		append(append(says, ways[0].Says...), said.Say(", then ")...),
		append(then(ways[0]), said.Piece{Text: "."})...)
}
