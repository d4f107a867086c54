package studies

import (
	"cmp"
	"fmt"
	"math"
	"slices"

	"zygonos/core/catalogue"
	"zygonos/core/finding"
	"zygonos/core/lashing"
	"zygonos/core/parts"
	"zygonos/core/plan"
	"zygonos/core/quantity"
	"zygonos/core/review"
	"zygonos/core/rig"
	"zygonos/core/said"
)

// TiePlan is how an outing's loads are tied down with what there is.
type TiePlan struct {
	finding.Variant
	Says  said.Sentence `json:"says"`
	Loads []TiedSo      `json:"loads"`
}

// TiedSo is one load of it.
type TiedSo struct {
	Name   string        `json:"name"`
	Straps int           `json:"straps"`
	Holds  bool          `json:"holds"`
	Says   said.Sentence `json:"says"`
}

// Limits of the search.
const (
	mostTies       = 6   // of one load
	mostSums       = 400 // sets of an outing that are held against statics
	mostCandidates = 12  // ways for a strap that are tried for one load
	tiltLeast      = 0.15
)

// PlanTies finds for each load, heaviest first, the fewest straps of those there are that
// hold it under the chosen school and by statics: ways for straps are listed, subsets are
// tried in order of their number. What is pinned by hand is replaced too.
func PlanTies(p *plan.Plan, q review.Request) *TiePlan {
	plan.Clean(p)
	out := &TiePlan{Loads: []TiedSo{}}
	before := review.Again(p, q)
	r := rig.Resolve(p, before.Scope.Trailer, before.Scope.Outing)
	switch {
	case r == nil || r.Layout == nil || len(r.Items) == 0:
		out.Says = said.Say("Nothing stands on the trailer yet.")
		return out
	case len(r.Trailer.TiePoints) == 0 && !onRacks(r):
		out.Says = said.Say("The trailer has no tie points yet: tell where its rings are.")
		return out
	case len(p.Straps) == 0:
		out.Says = said.Say("Which straps are there? Tell kind, width or tag, and how many.")
		return out
	}
	left := map[string]int{}
	for id, s := range p.Straps {
		left[id] = s.Count
	}
	lashings := map[string]plan.Lashing{}
	loads := lashing.Loads(r)
	slices.SortStableFunc(loads, func(a, b lashing.Load) int { return cmp.Compare(b.Mass, a.Mass) })
	missing, used, sums := 0, 0, mostSums
	for i := range loads {
		l := &loads[i]
		if l.Item.Shape == "heap" {
			continue
		}
		row := TiedSo{Name: l.Item.Name}
		chosen, enough := tieDown(r, l, left, &sums)
		for _, x := range chosen {
			used++
			x.Order = used
			lashings[fmt.Sprintf("tie-%d", used)] = x
			left[x.Strap]--
		}
		row.Straps, row.Holds = len(chosen), chosen != nil
		switch {
		case chosen != nil:
			row.Says = said.Say("% straps.", said.Count(len(chosen)))
		case !enough:
			missing++
			row.Says = said.Say("Not enough straps are left for it.")
		case sums <= 0:
			missing++
			row.Says = said.Say("The search ended before a set was found: tie it by hand, or add rings.")
		default:
			missing++
			row.Says = said.Say("No set of up to % straps holds it from these tie points: more rings, a mat, or stronger straps.", said.Count(mostTies))
		}
		out.Loads = append(out.Loads, row)
	}
	op := "add"
	if r.Layout.Lashings != nil {
		op = "replace"
	}
	out.Variant = finding.Variant{Name: said.Say("tie down with % straps", said.Count(used)), Patch: []finding.Op{{Op: op, Path: r.LayoutPath("/lashings"), Value: lashings}}}
	if missing == 0 {
		out.Says = said.Say("% straps hold all of it.", said.Count(used))
	} else {
		out.Says = said.Say("% of % loads are not held yet.", said.Count(missing), said.Count(len(out.Loads)))
	}
	return out
}

// onRacks reports whether a load lies on a rack, where straps go round its bars.
func onRacks(r *rig.Rig) bool {
	for i := range r.Items {
		if !r.Items[i].Part && len(lashing.OnBars(r, r.Items[i].ID)) > 0 {
			return true
		}
	}
	return false
}

// tieDown gives the fewest lashings that hold a load; nil where none do. enough is false
// where straps ran out first. sums is how many sets may still be held against statics.
func tieDown(r *rig.Rig, l *lashing.Load, left map[string]int, sums *int) (best []plan.Lashing, enough bool) {
	ways := waysFor(r, l)
	straps := strongest(r.Plan, left)
	for n := 1; n <= min(mostTies, len(ways)); n++ {
		if n > len(straps) {
			return nil, false
		}
		pick := make([]int, n)
		var try func(from, k int) bool
		try = func(from, k int) bool {
			if k == n {
				set := make([]plan.Lashing, n)
				for i, w := range pick {
					set[i] = ways[w]
					set[i].Strap = straps[i]
				}
				if holds(r, l, set, sums) {
					best = set
					return true
				}
				return false
			}
			for w := from; w <= len(ways)-(n-k); w++ {
				pick[k] = w
				if try(w+1, k+1) {
					return true
				}
			}
			return false
		}
		if try(0, 0) {
			return best, true
		}
	}
	return nil, true
}

// strongest lists the straps that are left, one entry each, the strongest first.
func strongest(p *plan.Plan, left map[string]int) []string {
	ids := plan.Ordered(p.Straps, func(s plan.Strap) int { return s.Order })
	slices.SortStableFunc(ids, func(a, b string) int {
		x, _ := lashing.LimitOf(p.Straps[a])
		y, _ := lashing.LimitOf(p.Straps[b])
		return cmp.Compare(y, x)
	})
	var out []string
	for _, id := range ids {
		if limit, _ := lashing.LimitOf(p.Straps[id]); limit <= 0 {
			continue
		}
		for range min(left[id], mostTies) {
			out = append(out, id)
		}
	}
	return out
}

// holds reports whether a set of lashings holds a load, rules first, then every direction.
func holds(r *rig.Rig, l *lashing.Load, set []plan.Lashing, sums *int) bool {
	with := lashing.With(r, l, set)
	if with == nil || !lashing.ByRule(r, with) || *sums <= 0 {
		return false
	}
	*sums--
	return lashing.ByStatics(with)
}

// waysFor lists ways for a strap on a load: machines from corner to tie point ahead or
// behind; others over the load between tie points that stand opposite, hulls so first.
func waysFor(r *rig.Rig, l *lashing.Load) []plan.Lashing {
	it := l.Item
	front, _ := r.Deck()
	points := plan.Ordered(r.Trailer.TiePoints, func(t plan.TiePoint) int { return t.Order })
	var out []plan.Lashing
	if bars := lashing.OnBars(r, it.ID); len(bars) > 0 {
		part := r.Plan.Parts[r.Layout.Placements[it.ID].ID]
		at := 0.0
		for i := range r.Items {
			if r.Items[i].Part && r.Items[i].ID == r.Layout.Placements[it.ID].ID {
				at = r.Items[i].Front
			}
		}
		for i, x := range parts.FramesAt(part.Rack) {
			out = append(out, plan.Lashing{Load: it.ID, From: bars[2*i], To: bars[2*i+1], Hold: plan.Spot{Back: quantity.Length(round10(at + x - it.Front))}})
		}
		return out
	}
	over := func() {
		for i, a := range points {
			for _, b := range points[i+1:] {
				p, q := r.Trailer.TiePoints[a].At, r.Trailer.TiePoints[b].At
				if p.Right > q.Right {
					p, q = q, p
				}
				x := front + float64(p.Back)
				if math.Abs(float64(p.Back-q.Back)) > tiltLeast || p.Right > 0 || q.Right < 0 || x < it.Front-0.3 || x > it.Rear+0.3 {
					continue
				}
				back := math.Min(math.Max(x-it.Front, 0.1), it.Length()-0.1)
				out = append(out, plan.Lashing{Load: it.ID, From: a, To: b, Hold: plan.Spot{Back: quantity.Length(round10(back))}})
			}
		}
	}
	corners := func() {
		wide, up := (it.Right-it.Left)/2*0.8, 0.3*(it.Top-it.Bottom)
		fore, aft := 0.15*it.Length(), 0.85*it.Length()
		if k, ok := catalogue.LoadOf(it.Load.Kind); ok && k.Rolls != nil {
			up = math.Max(0.2, float64(k.Rolls.Wheel)/2)
		}
		for _, c := range []struct{ back, right, way float64 }{{fore, -wide, -1}, {fore, wide, -1}, {aft, -wide, 1}, {aft, wide, 1}} {
			best, score := "", 0.0
			for _, id := range points {
				at := r.Trailer.TiePoints[id].At
				dx, dy := front+float64(at.Back)-(it.Front+c.back), float64(at.Right)-(it.Left+it.Right)/2-c.right
				dz := r.DeckHeight() + float64(at.Up) - (it.Bottom + up)
				n := math.Sqrt(dx*dx + dy*dy + dz*dz)
				if n < 0.15 || dx*c.way < 0 || dy*c.right < -0.3*n {
					continue
				}
				// Down and outward alike hold best.
				if s := math.Min(dx*c.way/n, 0.8) + math.Min(math.Abs(dz)/n, 0.7) + 0.3*math.Abs(dy)/n; s > score {
					best, score = id, s
				}
			}
			if best != "" {
				out = append(out, plan.Lashing{Load: it.ID, From: best, Hold: plan.Spot{Back: quantity.Length(round10(c.back)), Right: quantity.Length(math.Round(c.right*100) / 100), Up: quantity.Length(math.Round(up*100) / 100)}})
			}
		}
	}
	if it.Shape == "wheels" {
		corners()
	} else {
		over()
		corners()
	}
	return out[:min(len(out), mostCandidates)]
}
