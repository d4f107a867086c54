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
	Price    *finding.Measure `json:"price,omitempty"`    // of all bars that are bought; nil where a price is missing
	Bought   finding.Measure  `json:"bought"`             // m
	Mass     finding.Measure  `json:"mass"`               // kg, of what is bought
	Rest     finding.Measure  `json:"rest"`               // m, of all bars
	Drives   int              `json:"drives,omitempty"`   // to bring home what is bought; zero: not known
	Sawn     int              `json:"sawn,omitempty"`     // pieces that are cut already and fit
	Lost     []Sawn           `json:"lost,omitempty"`     // those that no member needs as they are
	LostCost *finding.Measure `json:"lostCost,omitempty"` // of their metres; nil where a price is missing
	Saw      []Setting        `json:"saw"`                // how often each angle is cut, most often first
}

// Setting is an angle of the saw with the ends that are cut at it: set once, cut together.
type Setting struct {
	Says  said.Sentence `json:"says"`
	Ends  int           `json:"ends"`
	Marks []string      `json:"marks"`
}

// SectionCut is one section with its bars.
type SectionCut struct {
	Says   said.Sentence    `json:"says"`
	Bars   []BarCut         `json:"bars"`
	Done   []CutPiece       `json:"done,omitempty"` // cut already, and as they are needed
	Price  *finding.Measure `json:"price,omitempty"`
	Proven bool             `json:"proven"` // no other way costs less
	Gap    *finding.Measure `json:"gap,omitempty"`
	Priced bool             `json:"priced"` // by its prices; else by the least length
	Fails  said.Sentence    `json:"fails,omitempty"`
	Notes  []said.Sentence  `json:"notes,omitempty"` // what the bars are as they arrived
}

// BarCut is one bar with what comes out of it, longest first.
type BarCut struct {
	Length finding.Measure `json:"length"`
	Have   bool            `json:"have"` // it is there
	Pieces []CutPiece      `json:"pieces"`
	Rest   finding.Measure `json:"rest"`
	// lengths to have it cut to where it is bought, so that the car carries them; empty: it comes home whole
	Home []finding.Measure `json:"home,omitempty"`
	// its longest piece is longer than the car carries
	TooLong bool `json:"tooLong,omitempty"`
}

// CutPiece is a member to be cut.
type CutPiece struct {
	Member string           `json:"member"` // id
	Name   string           `json:"name"`
	Mark   string           `json:"mark"`
	Length finding.Measure  `json:"length"` // from long point to long point
	Ends   [2]said.Sentence `json:"ends"`
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
	w := &work{p: p, f: f, bars: parts.FrameBars(f)}
	w.ends, w.marks = parts.FrameEnds(w.bars, parts.FrameTouches(w.bars)), parts.Marks(w.bars)
	kerf := float64(plan.DefaultKerf)
	if f.Kerf != nil {
		kerf = float64(*f.Kerf)
	}
	w.kerf = kerf
	out := &Cutting{Sections: []SectionCut{}, Saw: w.settings()}
	price, known, bought, rest, mass := 0.0, true, 0.0, 0.0, 0.0
	for _, group := range bySection(w.bars) {
		s, sum := w.section(ctx, group)
		mass += sum.bought * w.bars[group[0]].Section.Area * w.bars[group[0]].Stock.Density
		out.Sections = append(out.Sections, s)
		out.Sawn += len(s.Done)
		known = known && s.Price != nil
		if s.Price != nil {
			price += s.Price.Value
		}
		bought, rest = bought+sum.bought, rest+sum.rest
	}
	if known {
		out.Price = finding.Exactly(quantity.KindMoney, price)
	}
	out.Lost, out.LostCost = w.lost()
	out.Mass = *finding.Exactly(quantity.KindMass, mass)
	if f.CarryMass != nil && *f.CarryMass > 0 {
		out.Drives = int(math.Ceil(mass / float64(*f.CarryMass)))
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

// work is a frame on the saw.
type work struct {
	p     *plan.Plan
	f     *plan.Frame
	bars  []parts.FrameBar
	ends  [][2]parts.EndCut
	marks []string
	kerf  float64
}

// overall is a bar from long point to long point, m.
func (w *work) overall(i int) float64 {
	return w.bars[i].Length + w.ends[i][0].Extra + w.ends[i][1].Extra
}

// settings are the angles at which ends are cut.
func (w *work) settings() []Setting {
	out := []Setting{}
	at := map[string]int{}
	for i := range w.bars {
		if w.bars[i].Wrong != "" {
			continue
		}
		for e := range w.ends[i] {
			says := w.ends[i][e].Text()
			key := says.Text(quantity.Locale{})
			n, ok := at[key]
			if !ok {
				n = len(out)
				at[key] = n
				out = append(out, Setting{Says: says})
			}
			out[n].Ends++
			if !slices.Contains(out[n].Marks, w.marks[i]) {
				out[n].Marks = append(out[n].Marks, w.marks[i])
			}
		}
	}
	slices.SortStableFunc(out, func(a, b Setting) int { return b.Ends - a.Ends })
	return out
}

// section cuts what is of one section.
func (w *work) section(ctx context.Context, group []int) (SectionCut, sums) {
	p, f, bars, kerf := w.p, w.f, w.bars, w.kerf
	profile := bars[group[0]].Member.Profile
	out := SectionCut{Says: parts.SectionText(profile), Bars: []BarCut{}, Priced: true}
	problem := &nest.Problem{Kerf: kerf}
	group, done, loose := w.matched(group)
	out.Done = done
	for _, i := range group {
		problem.Pieces = append(problem.Pieces, w.overall(i))
	}
	var have []bool
	var whole []float64 // as they are bought, before their ends are cut off
	prices := []*float64{}
	for _, id := range plan.Ordered(f.Bars, func(b plan.BarStock) int { return b.Order }) {
		b := f.Bars[id]
		if !alike(b.Profile, profile) || b.Sawn != "" && !slices.Contains(loose, id) {
			continue
		}
		n := nest.Endless
		price := (*float64)(b.Price)
		if b.Have != nil {
			n, price = *b.Have, new(float64)
		} else if price == nil {
			price = perBar(b.Profile.PerMetre, float64(b.Length))
		}
		long := float64(b.Length)
		if b.Trim != nil {
			long -= float64(*b.Trim)
		}
		out.Notes = append(out.Notes, arrived(&b, profile)...)
		problem.Bars = append(problem.Bars, nest.Bar{Length: long, Have: n})
		whole = append(whole, float64(b.Length))
		have, prices = append(have, n != nest.Endless), append(prices, price)
	}
	if !slices.Contains(have, false) { // nothing is stated of what is sold
		for _, l := range Usual(p.Region) {
			problem.Bars = append(problem.Bars, nest.Bar{Length: l, Have: nest.Endless})
			whole = append(whole, l)
			have, prices = append(have, false), append(prices, perBar(profile.PerMetre, l))
		}
	}
	out.Priced = !slices.Contains(prices, nil)
	for i := range problem.Bars {
		switch {
		case out.Priced:
			problem.Bars[i].Price = *prices[i]
		case !have[i]: // by the least length
			problem.Bars[i].Price = whole[i]
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
			Length: *finding.Exactly(quantity.KindLength, whole[c.Bar]), Have: have[c.Bar],
			Rest: *finding.Exactly(quantity.KindLength, c.Rest),
		}
		for _, k := range c.Pieces {
			b.Pieces = append(b.Pieces, w.piece(group[k]))
		}
		if f.Carry != nil && !b.Have {
			b.home(float64(*f.Carry), kerf)
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
		return said.Say("% is % long and cannot be cut from any bar: the longest is %. Splice it, or enter a longer bar.",
			said.Name(m.Member.Name, "A member"), said.Length(p.Pieces[bad.Piece]), said.Length(longest))
	case errors.Is(err, nest.ErrKerf):
		return said.Say("The saw's kerf makes no sense.")
	}
	return said.Say("The bars you have are not enough. Enter the lengths that are sold.")
}
