// Package cut lays the members of a drawn frame out on the bars that there are or that can be bought.
// Formulas: docs/method/nest.md.
package cut

import (
	"context"
	"errors"
	"math"
	"slices"

	"zygonos/core/lang/finding"
	"zygonos/core/lang/quantity"
	"zygonos/core/lang/said"
	"zygonos/core/parts"
	"zygonos/core/plan"
	"zygonos/core/sums/nest"
)

// steps of the search for each section.
const steps = 100_000

// Cutting is how a frame is cut, section by section.
type Cutting struct {
	Sections []SectionCut     `json:"sections"`
	Price    *finding.Measure `json:"price,omitempty"` // of all bars that are bought; nil where a price is missing
	Bought   finding.Measure  `json:"bought"`          // m
	Rest     finding.Measure  `json:"rest"`            // m, of all bars
}

// SectionCut is one section with its bars.
type SectionCut struct {
	Says   said.Sentence    `json:"says"`
	Bars   []BarCut         `json:"bars"`
	Price  *finding.Measure `json:"price,omitempty"`
	Proven bool             `json:"proven"` // no other way costs less
	Gap    *finding.Measure `json:"gap,omitempty"`
	Priced bool             `json:"priced"` // by its prices; else by the least length
	Fails  said.Sentence    `json:"fails,omitempty"`
}

// BarCut is one bar with what comes out of it, longest first.
type BarCut struct {
	Length finding.Measure `json:"length"`
	Have   bool            `json:"have"` // it is there
	Pieces []CutPiece      `json:"pieces"`
	Rest   finding.Measure `json:"rest"`
}

// CutPiece is a member to be cut.
type CutPiece struct {
	Member string          `json:"member"` // id
	Name   string          `json:"name"`
	Length finding.Measure `json:"length"`
}

// Usual are the lengths in which bars are sold, m (practice, C).
func Usual(r quantity.Region) []float64 {
	switch r {
	case quantity.NorthAmerica:
		return []float64{20 * 0.3048, 24 * 0.3048}
	case quantity.Australia, quantity.NewZealand:
		return []float64{6, 6.5, 8}
	}
	return []float64{6, 7.5}
}

// Frame cuts a trailer's frame; nil where none is drawn.
func Frame(ctx context.Context, p *plan.Plan, trailer string) *Cutting {
	f := p.Trailers[trailer].Frame
	if f == nil || len(f.Members) == 0 {
		return nil
	}
	bars := parts.FrameBars(f)
	kerf := float64(plan.DefaultKerf)
	if f.Kerf != nil {
		kerf = float64(*f.Kerf)
	}
	out := &Cutting{Sections: []SectionCut{}}
	price, known, bought, rest := 0.0, true, 0.0, 0.0
	for _, group := range bySection(bars) {
		s, sum := section(ctx, p, f, bars, group, kerf)
		out.Sections = append(out.Sections, s)
		known = known && s.Price != nil
		if s.Price != nil {
			price += s.Price.Value
		}
		bought, rest = bought+sum.bought, rest+sum.rest
	}
	if known {
		out.Price = finding.Exactly(quantity.KindMoney, price)
	}
	out.Bought, out.Rest = *finding.Exactly(quantity.KindLength, bought), *finding.Exactly(quantity.KindLength, rest)
	return out
}

// bySection are the bars' indexes, those of one section together.
func bySection(bars []parts.FrameBar) (out [][]int) {
	at := map[plan.Profile]int{}
	for i := range bars {
		if bars[i].Wrong != "" {
			continue
		}
		k := bars[i].Member.Profile
		k.PerMetre = nil
		n, ok := at[k]
		if !ok {
			n = len(out)
			at[k] = n
			out = append(out, nil)
		}
		out[n] = append(out[n], i)
	}
	return out
}

type sums struct{ bought, rest float64 }

// section cuts what is of one section.
func section(
	ctx context.Context,
	p *plan.Plan,
	f *plan.Frame,
	bars []parts.FrameBar,
	group []int,
	kerf float64,
) (SectionCut, sums) {
	profile := bars[group[0]].Member.Profile
	out := SectionCut{Says: parts.SectionText(profile), Bars: []BarCut{}, Priced: true}
	problem := &nest.Problem{Kerf: kerf}
	for _, i := range group {
		problem.Pieces = append(problem.Pieces, bars[i].Length)
	}
	var have []bool
	prices := []*float64{}
	for _, id := range plan.Ordered(f.Bars, func(b plan.BarStock) int { return b.Order }) {
		b := f.Bars[id]
		if !alike(b.Profile, profile) {
			continue
		}
		n := nest.Endless
		price := (*float64)(b.Price)
		if b.Have != nil {
			n, price = *b.Have, new(float64)
		} else if price == nil {
			price = perBar(b.Profile.PerMetre, float64(b.Length))
		}
		problem.Bars = append(problem.Bars, nest.Bar{Length: float64(b.Length), Have: n})
		have, prices = append(have, n != nest.Endless), append(prices, price)
	}
	if !slices.Contains(have, false) { // nothing is told of what is sold
		for _, l := range Usual(p.Region) {
			problem.Bars = append(problem.Bars, nest.Bar{Length: l, Have: nest.Endless})
			have, prices = append(have, false), append(prices, perBar(profile.PerMetre, l))
		}
	}
	out.Priced = !slices.Contains(prices, nil)
	for i := range problem.Bars {
		switch {
		case out.Priced:
			problem.Bars[i].Price = *prices[i]
		case !have[i]: // by the least length
			problem.Bars[i].Price = problem.Bars[i].Length
		}
	}
	l, err := nest.Solve(ctx, problem, steps)
	if err != nil {
		out.Fails = fails(err, bars, group, problem)
		return out, sums{}
	}
	var s sums
	for _, c := range l.Cuts {
		b := BarCut{
			Length: *finding.Exactly(quantity.KindLength, problem.Bars[c.Bar].Length), Have: have[c.Bar],
			Rest: *finding.Exactly(quantity.KindLength, c.Rest),
		}
		for _, k := range c.Pieces {
			m := &bars[group[k]]
			b.Pieces = append(
				b.Pieces,
				CutPiece{m.ID, m.Member.Name, *finding.Exactly(quantity.KindLength, m.Length)},
			)
		}
		if !b.Have {
			s.bought += b.Length.Value
		}
		s.rest += c.Rest
		out.Bars = append(out.Bars, b)
	}
	out.Proven = l.Proven
	if out.Priced {
		out.Price = finding.Exactly(quantity.KindMoney, l.Price)
		if !l.Proven {
			out.Gap = finding.Exactly(quantity.KindMoney, l.Price-l.Least)
		}
	}
	return out, s
}

func perBar(metre *quantity.Money, length float64) *float64 {
	if metre == nil {
		return nil
	}
	price := math.Round(float64(*metre)*length*100) / 100
	return &price
}

// alike reports whether a bar is of a section: prices aside.
func alike(a, b plan.Profile) bool {
	a.PerMetre, b.PerMetre = nil, nil
	return a == b
}

// fails says why nothing is cut.
func fails(err error, bars []parts.FrameBar, group []int, p *nest.Problem) said.Sentence {
	var bad *nest.PieceError
	switch {
	case errors.As(err, &bad):
		m := &bars[group[bad.Piece]]
		longest := 0.0
		for _, b := range p.Bars {
			longest = math.Max(longest, b.Length)
		}
		return said.Say("% is % long and comes out of no bar: the longest has %. Splice it, or enter a longer bar.",
			said.Name(m.Member.Name, "A member"), said.Length(m.Length), said.Length(longest))
	case errors.Is(err, nest.ErrKerf):
		return said.Say("The saw's kerf makes no sense.")
	}
	return said.Say("The bars on hand are not enough. Enter the lengths that are sold.")
}
