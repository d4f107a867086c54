package parts

import (
	"cmp"
	"math"
	"slices"

	"zygonos/core/plan"
)

// Bearer is a member that the deck lies on.
type Bearer struct {
	Bar       int
	X, Y      float64 // its middle
	Low, High float64 // its reach across, or along for a rail
}

// Flush is by how much the tops of members that bear one deck may differ, m (practice, C).
const Flush = 0.012

// Bearers are the cross members under the deck from front to rear, and what runs along under it from left to
// right: those whose top lies with the highest that is not over the deck's underside.
func Bearers(bars []FrameBar) (cross, along []Bearer) {
	top := DeckPlane(bars)
	for i := range bars {
		r := &bars[i]
		if !r.lies() || math.Abs(r.Top()-top) > Flush {
			continue
		}
		m := r.Middle()
		switch {
		case math.Abs(r.Axes[0].Y) > 0.9:
			cross = append(cross, Bearer{i, m.X, m.Y, math.Min(r.From.Y, r.To.Y), math.Max(r.From.Y, r.To.Y)})
		case math.Abs(r.Axes[0].X) > 0.9:
			along = append(along, Bearer{i, m.X, m.Y, math.Min(r.From.X, r.To.X), math.Max(r.From.X, r.To.X)})
		}
	}
	slices.SortFunc(cross, func(p, q Bearer) int { return cmp.Compare(p.X, q.X) })
	slices.SortFunc(along, func(p, q Bearer) int { return cmp.Compare(p.Y, q.Y) })
	return cross, along
}

// DeckPlane is the height of the tops that the deck lies on, over its underside: the highest that is not over
// it, else the lowest that is.
func DeckPlane(bars []FrameBar) float64 {
	top, lowest := math.Inf(-1), math.Inf(1)
	for i := range bars {
		switch t := bars[i].Top(); {
		case !bars[i].lies():
		case t <= Flush:
			top = math.Max(top, t)
		default:
			lowest = math.Min(lowest, t)
		}
	}
	if math.IsInf(top, -1) {
		return lowest
	}
	return top
}

// lies reports whether a bar runs along or across and is no stake or brace.
func (b *FrameBar) lies() bool {
	return math.Abs(b.Axes[0].Z) < 0.1 && b.Member.Role != plan.RoleUpright && b.Member.Role != plan.RoleBrace
}

// Top is how high the top of a bar lies over the deck's underside at most, m.
func (b *FrameBar) Top() float64 {
	return math.Max(b.From.Z, b.To.Z) + math.Abs(b.Axes[2].Z)*b.High/2 + math.Abs(b.Axes[1].Z)*b.Wide/2
}
