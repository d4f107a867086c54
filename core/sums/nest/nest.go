// Package nest cuts pieces out of bars: the one-dimensional cutting-stock problem with bars of several
// lengths and prices, bars on hand, and a kerf. Formulas: docs/method/nest.md.
package nest

import (
	"cmp"
	"context"
	"errors"
	"fmt"
	"math"
	"slices"
)

// Bar is a length that can be bought or is on hand.
type Bar struct {
	Length float64 // m
	Price  float64 // of one; zero for one that is there already
	Have   int     // how many there are; Endless for what is sold
}

// Endless says that as many as are wanted can be bought.
const Endless = -1

// Problem is what is to be cut.
type Problem struct {
	Pieces []float64 // m, as each leaves the saw
	Bars   []Bar
	Kerf   float64 // m that a cut takes
}

// Cut is one bar with what comes out of it.
type Cut struct {
	Bar    int     // index into Bars
	Pieces []int   // indexes into Pieces, longest first
	Rest   float64 // m that is left in one piece
}

// Layout says which piece comes out of which bar.
type Layout struct {
	Cuts  []Cut
	Price float64
	// no layout costs less than this; Proven where the one found does not cost more
	Least  float64
	Proven bool
}

// Errors of Solve. A PieceError names a piece that comes out of no bar.
var (
	ErrKerf  = errors.New("the kerf is negative or not a number")
	ErrShort = errors.New("the bars you have are not enough, and none that would do is sold")
)

// PieceError says that a piece comes out of no bar.
type PieceError struct {
	Piece int
	Says  string
}

func (e *PieceError) Error() string { return fmt.Sprintf("piece %d %s", e.Piece, e.Says) }

// unit is the step in which lengths are counted, m: a tenth of a millimetre. Pieces are rounded up and
// bars down.
const unit = 1e-4

// kind is one length of which several pieces may be wanted.
type kind struct {
	length int   // with the kerf, in units
	pieces []int // indexes
}

// stock is one kind of bar.
type stock struct {
	bar    int
	length int // with one kerf more: the last cut needs none
	price  float64
	have   int
}

// Solve finds the layout that costs least, of those the one with the fewest bars, of those the one with
// the longest rest in one piece, as far as so many steps allow. A layout is always given; Proven says
// whether less is impossible.
func Solve(ctx context.Context, p *Problem, steps int) (Layout, error) {
	kinds, stocks, err := prepare(p)
	if err != nil || len(kinds) == 0 {
		return Layout{Proven: err == nil}, err
	}
	s := &search{ctx: ctx, kinds: kinds, stocks: stocks, steps: steps, seen: map[string]seen{}}
	total := 0
	for _, k := range kinds {
		total += k.length * len(k.pieces)
	}
	s.sums = newSums(stocks, total)
	s.run()
	if s.best == nil {
		return Layout{}, ErrShort
	}
	return s.layout(p), nil
}

// prepare counts lengths in units and gathers like pieces and like bars.
func prepare(p *Problem) ([]kind, []stock, error) {
	if !(p.Kerf >= 0) || math.IsInf(p.Kerf, 0) {
		return nil, nil, ErrKerf
	}
	kerf := int(math.Ceil(p.Kerf/unit - 1e-6))
	var stocks []stock
	longest := 0
	for i, b := range p.Bars {
		if !(b.Length > 0) || math.IsInf(b.Length, 0) || b.Have == 0 || !(b.Price >= 0) || math.IsInf(b.Price, 0) {
			continue
		}
		s := stock{i, int(math.Floor(b.Length/unit+1e-6)) + kerf, b.Price, b.Have}
		stocks = append(stocks, s)
		longest = max(longest, s.length)
	}
	byLength := map[int][]int{}
	for i, l := range p.Pieces {
		if !(l > 0) || math.IsInf(l, 0) {
			return nil, nil, &PieceError{i, "has no length"}
		}
		n := int(math.Ceil(l/unit-1e-6)) + kerf
		if n > longest {
			return nil, nil, &PieceError{i, "is longer than any bar"}
		}
		byLength[n] = append(byLength[n], i)
	}
	var kinds []kind
	for l, pieces := range byLength {
		kinds = append(kinds, kind{l, pieces})
	}
	slices.SortFunc(kinds, func(a, b kind) int { return b.length - a.length })
	// what is there before what is bought, then by the price of a metre
	slices.SortStableFunc(stocks, func(a, b stock) int {
		return cmp.Or(cmp.Compare(a.price/float64(a.length), b.price/float64(b.length)), b.length-a.length)
	})
	return kinds, stocks, nil
}

// layout names the pieces.
func (s *search) layout(p *Problem) Layout {
	out := Layout{Least: s.least}
	next := make([]int, len(s.kinds))
	for _, used := range s.best {
		st := &s.stocks[used.stock]
		c := Cut{Bar: st.bar, Rest: p.Bars[st.bar].Length}
		for k, n := range used.counts {
			for range n {
				piece := s.kinds[k].pieces[next[k]]
				next[k]++
				c.Pieces = append(c.Pieces, piece)
				c.Rest -= p.Pieces[piece] + p.Kerf
			}
		}
		if c.Rest < 0 { // the last cut needs no kerf
			c.Rest = 0
		}
		out.Price += st.price
		out.Cuts = append(out.Cuts, c)
	}
	slices.SortStableFunc(out.Cuts, func(a, b Cut) int {
		return cmp.Or(cmp.Compare(a.Bar, b.Bar), cmp.Compare(a.Rest, b.Rest))
	})
	out.Least = math.Min(out.Least, out.Price)
	out.Proven = out.Price <= out.Least+1e-9*(1+out.Price)
	return out
}
