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

// Better is a change to how a load is tied, and how many g it withstands then in the
// direction that governed.
type Better struct {
	Says   said.Sentence
	G      float64
	Patch  []finding.Op // nil where the plan does not tell of it
	effort int
}

// Improve tries what an owner would do where a load gives in direction k (into Directions):
// straps drawn tighter, a mat, hooked lower, something against it, one strap more. What
// holds comes first, the least effort before; else what helps most.
func Improve(r *rig.Rig, l *Load, k int) []Better {
	d := Directions[k]
	var out []Better
	try := func(effort int, next Load, says said.Sentence, patch []finding.Op) {
		if h, err := Hold(&next, d.Push, next.friction()); err == nil {
			out = append(out, Better{says, h.G, patch, effort})
		}
	}
	now, err := Hold(l, d.Push, l.friction())
	if err != nil {
		return nil
	}
	place := l.Item.PlacePath
	if tight, drawn := l.tightened(); drawn > 0 {
		try(0, tight, said.Say("straps drawn to %", said.Mass(drawn)), nil)
	}
	pl := r.Layout.Placements[l.Item.ID]
	if !pl.Mat && pl.Grip == 0 && pl.On != plan.OnPart {
		next := *l
		next.Grip = norms.Grip{Low: norms.MatGrip, High: norms.MatGrip}
		try(1, next, said.Say("a mat under it"), []finding.Op{{Op: "add", Path: place + "/mat", Value: true}})
	}
	if next, ok := l.lower(); ok {
		try(2, next, said.Say("hooked half as high on it"), nil)
	}
	if k < 4 && l.Blocks[k] == 0 && pl.On != plan.OnPart {
		next := *l
		takes := math.Ceil(l.Mass*math.Max(0.1, d.Asked-now.G)/10) * 10
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
	var most Better
	for i := range l.Ties {
		next := *l
		next.Ties = append(slices.Clone(l.Ties), l.Ties[i])
		if h, err := Hold(&next, d.Push, next.friction()); err == nil && h.G > most.G {
			most = Better{said.Say("one more strap like %, at rings of its own", said.Name(l.Ties[i].Name, "this one")), h.G, nil, 4}
		}
	}
	if most.Says != nil {
		out = append(out, most)
	}
	holds := func(b Better) bool { return b.G >= d.Asked*(1-1e-9) }
	slices.SortStableFunc(out, func(a, b Better) int {
		switch {
		case holds(a) != holds(b):
			if holds(a) {
				return -1
			}
			return 1
		case holds(a):
			return cmp.Compare(a.effort, b.effort)
		}
		return cmp.Compare(b.G, a.G)
	})
	return out
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
