package cut

import (
	"cmp"
	"math"
	"slices"

	"zygonos/core/lang/finding"
	"zygonos/core/lang/quantity"
	"zygonos/core/lang/said"
	"zygonos/core/plan"
)

// home has a bar that is longer than the car carries cut where it is bought, between pieces and in as few
// lengths as the longest-first rule finds; the pieces come to stand in that order. What is left over is cut
// off with the last length that it fits on, else by itself.
func (b *BarCut) home(carry, kerf float64) {
	if b.Length.Value <= carry+1e-9 {
		return
	}
	type length struct {
		pieces []CutPiece
		sum    float64
	}
	var lengths []length
	ps := slices.Clone(b.Pieces)
	slices.SortStableFunc(ps, func(x, y CutPiece) int { return cmp.Compare(y.Length.Value, x.Length.Value) })
	for _, p := range ps {
		if p.Length.Value > carry {
			b.TooLong = true
			return
		}
		at := slices.IndexFunc(lengths, func(l length) bool { return l.sum+kerf+p.Length.Value <= carry+1e-9 })
		if at < 0 {
			lengths = append(lengths, length{[]CutPiece{p}, p.Length.Value})
			continue
		}
		lengths[at].pieces, lengths[at].sum = append(lengths[at].pieces, p), lengths[at].sum+kerf+p.Length.Value
	}
	// ends that are cut off and cuts between the lengths go with the rest
	rest := b.Length.Value - kerf*float64(len(lengths))
	for i := range lengths {
		rest -= lengths[i].sum
	}
	b.Pieces = nil
	left := math.Max(0, rest)
	for i := range lengths {
		l := &lengths[i]
		b.Pieces = append(b.Pieces, l.pieces...)
		if left > 0 && l.sum+left <= carry { // the rest stays on
			l.sum, left = l.sum+left, 0
		}
		b.Home = append(b.Home, *finding.Exactly(quantity.KindLength, l.sum))
	}
	for left > 1e-3 {
		part := math.Min(left, carry)
		b.Home = append(b.Home, *finding.Exactly(quantity.KindLength, part))
		left -= part
	}
}

// Figures of bars as they arrived (practice, C).
const (
	bowPerMetre = 0.0015 // m a metre that EN 10219-2 allows
	wallUnder   = 0.10   // share under its size that EN 10219-2 allows
)

// arrived says what a bar that is there is like, where that matters.
func arrived(b *plan.BarStock, p plan.Profile) (out []said.Sentence) {
	if b.Bow != nil && float64(*b.Bow) > bowPerMetre*float64(b.Length) {
		out = append(out, said.Say(
			"A bar of % is % out of straight in its middle: cut the short pieces from it. One of % is still % out.",
			said.Length(
				b.Length,
			),
			said.Length(*b.Bow),
			said.Length(0.5),
			said.Length(float64(*b.Bow)*0.25/float64(b.Length*b.Length)),
		))
	}
	if b.Wall != nil && p.Wall > 0 && float64(*b.Wall) < (1-wallUnder)*float64(p.Wall) {
		out = append(out, said.Say(
			"A bar of % has a wall of %, and % is drawn. Enter the thinner wall in the section of what is cut from it.",
			said.Length(b.Length),
			said.Length(*b.Wall),
			said.Length(p.Wall),
		))
	}
	return out
}
