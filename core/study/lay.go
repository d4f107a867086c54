package study

import (
	"maps"
	"math"
	"slices"

	"zygonos/core/ask/balance"
	"zygonos/core/lang/finding"
	"zygonos/core/lang/quantity"
	"zygonos/core/plan"
	"zygonos/core/rig"
)

// LoadsOf lists the loads that an outing carries, on whichever trailer they
// were placed, by the plan's order.
func LoadsOf(p *plan.Plan, outing string) []string {
	set := map[string]bool{}
	for _, l := range p.Outings[outing].Layouts {
		for id := range l.Placements {
			set[id] = true
		}
	}
	return slices.DeleteFunc(p.LoadIDs(), func(id string) bool { return !set[id] })
}

// Lay gives the patch that puts an outing's loads on a trailer on which they
// have no place yet, as they stand on the trailer where most of them do, kept
// within the deck. It is empty where every load has its place.
func Lay(p *plan.Plan, trailer, outing string) []finding.Op {
	_, ops := lay(p, trailer, outing)
	return ops
}

// lay gives the laid layout too.
func lay(p *plan.Plan, trailer, outing string) (plan.Layout, []finding.Op) {
	own := p.Outings[outing].Layouts[trailer]
	missing := slices.DeleteFunc(
		LoadsOf(p, outing),
		func(id string) bool { _, ok := own.Placements[id]; return ok },
	)
	if len(missing) == 0 {
		return own, nil
	}
	from := reference(p, outing, trailer)
	pattern := p.Outings[outing].Layouts[from]
	next := plan.Layout{
		AxleAt:     own.AxleAt,
		Parts:      maps.Clone(own.Parts),
		Placements: maps.Clone(own.Placements),
		Readings:   own.Readings,
	}
	if next.Placements == nil {
		next.Placements = map[string]plan.Placement{}
	}
	for _, id := range missing {
		pl, ok := pattern.Placements[id]
		if !ok {
			pl = plan.Placement{On: plan.OnDeck}
		}
		pl.Pinned = false
		if pl.On == plan.OnPart {
			if on, ok := pattern.Parts[pl.ID]; ok { // its rack comes along
				if next.Parts == nil {
					next.Parts = map[string]plan.PartOn{}
				}
				if _, has := next.Parts[pl.ID]; !has {
					next.Parts[pl.ID] = on
				}
			} else { // what carried it there does not come along
				pl.On, pl.ID, pl.Slot = plan.OnDeck, "", ""
			}
		}
		next.Placements[id] = pl
	}
	// Keep each within the new deck.
	r := rig.Resolve(withLayout(p, trailer, outing, next), trailer, outing)
	for i := range r.Items {
		it := &r.Items[i]
		if it.Part || !it.OnDeck || !slices.Contains(missing, it.ID) {
			continue
		}
		lo, hi := r.Room(it)
		pl := next.Placements[it.ID]
		pl.At.Back = quantity.Length(round10(min(max(float64(pl.At.Back), lo), hi)))
		next.Placements[it.ID] = pl
	}
	if own.Placements == nil && own.Parts == nil && own.Readings == nil && own.AxleAt == nil {
		return next, []finding.Op{{Op: "add", Path: "/outings/" + outing + "/layouts/" + trailer, Value: next}}
	}
	ops := []finding.Op{}
	for id, on := range next.Parts {
		if _, had := own.Parts[id]; !had {
			if own.Parts == nil {
				return next, []finding.Op{
					{Op: "add", Path: "/outings/" + outing + "/layouts/" + trailer, Value: next},
				}
			}
			ops = append(
				ops,
				finding.Op{
					Op:    "add",
					Path:  "/outings/" + outing + "/layouts/" + trailer + "/parts/" + id,
					Value: on,
				},
			)
		}
	}
	for _, id := range missing {
		ops = append(
			ops,
			finding.Op{
				Op:    "add",
				Path:  "/outings/" + outing + "/layouts/" + trailer + "/placements/" + id,
				Value: next.Placements[id],
			},
		)
	}
	return next, ops
}

// withLayout is the plan with one layout put in place of another; the maps on
// the way are copied, the rest is shared.
func withLayout(p *plan.Plan, trailer, outing string, l plan.Layout) *plan.Plan {
	q := *p
	q.Outings = maps.Clone(p.Outings)
	o := q.Outings[outing]
	if o.Layouts = maps.Clone(o.Layouts); o.Layouts == nil {
		o.Layouts = map[string]plan.Layout{}
	}
	o.Layouts[trailer] = l
	q.Outings[outing] = o
	return &q
}

// reference is the trailer on which most of the outing's loads have a place;
// of equals the chosen one, then the first.
func reference(p *plan.Plan, outing, not string) string {
	best, most := "", -1
	for _, id := range p.TrailerIDs() {
		if id == not {
			continue
		}
		n := 2 * len(p.Outings[outing].Layouts[id].Placements)
		if id == p.Chosen {
			n++
		}
		if n > most {
			best, most = id, n
		}
	}
	return best
}

func round10(v float64) float64 { return math.Round(v*100) / 100 }

// Shift is how far all that stands free on the deck must slide together to
// bring the ball load to the middle of its window, Δ = (R − target)·L/Σm, and
// the patch that does it; at most to the deck's edges. Reached tells whether
// the window itself is reached.
func Shift(r *rig.Rig) (d float64, patch []finding.Op, reached bool) {
	w := balance.Check(r).Window
	if w == nil || r.Bears == nil || w.High < w.Low {
		return 0, nil, false
	}
	group, lo, hi := 0.0, math.Inf(-1), math.Inf(1)
	var free []*rig.Item
	if r.Layout == nil {
		return 0, nil, false
	}
	for i := range r.Items {
		it := &r.Items[i]
		if it.Part || it.Pinned || !it.OnDeck || it.Mass == nil {
			continue
		}
		from, to := r.Room(it)
		lo, hi = max(lo, from-float64(it.At.Back)), min(hi, to-float64(it.At.Back))
		group += r.Moves(i).Mass
		free = append(free, it)
	}
	if group <= 0 || lo > hi {
		return 0, nil, false
	}
	ball, k := r.Bears.Ball.Nominal, group/r.Axle.Nominal
	d = round10(min(max((ball-(w.Low+w.High)/2)/k, lo), hi))
	after := ball - d*k
	reached = after >= w.Low-1e-9 && after <= w.High+1e-9
	for _, it := range free {
		patch = append(
			patch,
			finding.Op{Op: "replace", Path: it.PlacePath + "/at/back", Value: round10(float64(it.At.Back) + d)},
		)
	}
	return d, patch, reached
}
