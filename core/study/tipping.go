package study

import (
	"context"
	"math"

	"zygonos/core/ask/tip"
	"zygonos/core/lang/finding"
	"zygonos/core/lang/quantity"
	"zygonos/core/lang/said"
	"zygonos/core/plan"
	"zygonos/core/review"
	"zygonos/core/rig"
)

// TipSearch is where the gear of a bed takes least, on a grid that is tried out whole.
type TipSearch struct {
	Says  said.Sentence     `json:"says"`
	Tried int               `json:"tried"`
	Whole bool              `json:"whole"` // the whole grid: nothing on it takes less
	Ways  []finding.Variant `json:"ways"`
}

// Grid of the search, m.
const (
	tipGrid    = 0.10
	tipTallest = 2.4 // of a mast over the deck
	tipLowest  = -0.5
	tipPicks   = 0.30 // between the places at which a line is fixed to the bed, from where it is to the rear
)

// FindTip looks for the places of mast top or cylinder and of the pick-up with the least peak pull that bring the bed to its
// stop: every point of a grid, the outing's load at its most; and for a mast the lowest whose pull the winch lifts.
func FindTip(ctx context.Context, p *plan.Plan, trailer, outing string) *TipSearch {
	review.Ready(p)
	out := &TipSearch{Ways: []finding.Variant{}, Whole: true}
	r := rig.Resolve(p, trailer, outing)
	s := tip.New(r)
	if s == nil {
		out.Says = said.Say("Enter the bed's weight and stop, and the deck, first.")
		return out
	}
	t := *r.Trailer.Tipping
	now, works := s.Peak()
	hinge := float64(t.Hinge.Back)
	type found struct {
		t    plan.Tipping
		peak float64
	}
	var best, lowest *found
	lifts := math.Inf(1)
	if t.WinchLifts != nil {
		lifts = float64(*t.WinchLifts) * s.Keeps()
	}
	try := func(n plan.Tipping) {
		out.Tried++
		peak, ok := s.With(&n).Peak()
		if !ok {
			return
		}
		if best == nil || peak < best.peak-1e-9 {
			best = &found{n, peak}
		}
		if t.By == plan.TipByMast && peak <= lifts && (lowest == nil || n.Top.Up < lowest.t.Top.Up-1e-9 ||
			n.Top.Up < lowest.t.Top.Up+1e-9 && peak < lowest.peak-1e-9) {
			lowest = &found{n, peak}
		}
	}
	place := func(x, z float64) plan.TipSpot {
		return plan.TipSpot{
			Back: quantity.Length(math.Round(x*1000) / 1000),
			Up:   quantity.Length(math.Round(z*1000) / 1000),
		}
	}
	switch t.By {
	case plan.TipByMast:
		for x := -0.3; x < hinge-0.3; x += tipGrid {
			for z := tipGrid * 4; z <= tipTallest+1e-9; z += tipGrid {
				if over(ctx) {
					out.Whole = false
					break
				}
				for pick := float64(t.Pick.Back); pick < hinge-0.3; pick += tipPicks {
					n := t
					n.Top, n.Pick = place(x, z), place(pick, float64(t.Pick.Up))
					try(n)
				}
			}
		}
	case plan.TipByCylinder:
		for x := 0.1; x < hinge-0.1; x += tipGrid {
			for z := tipLowest; z <= -0.1+1e-9; z += tipGrid {
				for pick := x; pick < hinge-0.1; pick += tipGrid {
					if over(ctx) {
						out.Whole = false
						break
					}
					n := t
					n.Foot, n.Pick = place(x, z), place(pick, float64(t.Pick.Up))
					if n.Closed != nil && n.Open != nil && !s.With(&n).Within() {
						out.Tried++
						continue
					}
					try(n)
				}
			}
		}
	default:
		out.Says = said.Say("For this way of tipping there is no search: move the points on the drawing.")
		return out
	}
	if best == nil {
		out.Says = said.Say(
			"None of % positions brings the bed to its stop. Use a lower stop, or a hinge farther back.",
			said.Count(out.Tried),
		)
		return out
	}
	out.Says = said.Say(
		"Of % positions, the lowest peak is % "+unitOf(&t)+", now ",
		said.Count(out.Tried),
		said.Mass(best.peak),
	)
	if works {
		out.Says = append(out.Says, said.Say("%.", said.Mass(now))...)
	} else {
		out.Says = said.Say("Of % positions, the lowest peak is % "+unitOf(&t)+"; as it is now the bed does not come up.", said.Count(out.Tried), said.Mass(best.peak))
	}
	path := "/trailers/" + trailer + "/tipping"
	variant := func(name said.Sentence, f *found) {
		v := finding.Variant{Name: name, Patch: []finding.Op{
			{Op: "add", Path: path + "/top", Value: f.t.Top}, {Op: "add", Path: path + "/pick", Value: f.t.Pick},
		}}
		if t.By == plan.TipByCylinder {
			v.Patch = []finding.Op{
				{Op: "add", Path: path + "/foot", Value: f.t.Foot},
				{Op: "add", Path: path + "/pick", Value: f.t.Pick},
			}
		}
		out.Ways = append(out.Ways, v)
	}
	if !works || best.peak < now-0.5 {
		if t.By == plan.TipByMast {
			variant(
				said.Say("mast's top % behind the front, % over the deck, the line on the bed at %: % at most",
					said.Length(best.t.Top.Back), said.Length(best.t.Top.Up), said.Length(best.t.Pick.Back),
					said.Mass(best.peak)),
				best,
			)
		} else {
			variant(said.Say("cylinder's foot % behind the front and % under the deck, its head at %: % at most", said.Length(best.t.Foot.Back),
				said.Length(-best.t.Foot.Up), said.Length(best.t.Pick.Back), said.Mass(best.peak)), best)
		}
	}
	if lowest != nil && t.WinchLifts != nil && lowest.t.Top.Up < best.t.Top.Up-1e-9 && lowest.t.Top != t.Top {
		variant(
			said.Say(
				"the lowest mast that the winch manages: top % behind the front, % over the deck, the line on the bed at %: % at most",
				said.Length(lowest.t.Top.Back),
				said.Length(lowest.t.Top.Up),
				said.Length(lowest.t.Pick.Back),
				said.Mass(lowest.peak),
			),
			lowest,
		)
	}
	if id, _ := s.Weakest(); id != "" {
		w := t.AtHand[id]
		out.Ways = append(out.Ways, finding.Variant{
			Name: said.Say("%, the weakest you have that does it as it is", said.Name(w.Name, "the winch")),
			Patch: []finding.Op{
				{Op: "add", Path: path + "/winchLifts", Value: *w.Lifts},
				{Op: "add", Path: path + "/lifting", Value: true},
				{Op: "add", Path: path + "/brake", Value: true},
			},
		})
	}
	return out
}

func unitOf(t *plan.Tipping) string {
	if t.By == plan.TipByCylinder {
		return "on the cylinder"
	}
	return "on the drum"
}
