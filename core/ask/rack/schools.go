package rack

import (
	"zygonos/core/lang/finding"
	"zygonos/core/lang/quantity"
	"zygonos/core/lang/said"
	"zygonos/core/rig"
)

// HullSupport is one way to support hulls, with what it comes to for each hull of the
// outing: docs/method/rack.md.
type HullSupport struct {
	ID     string        `json:"id"`
	Name   string        `json:"name"`
	Slides string        `json:"slides"` // how a hull slides on
	Later  string        `json:"later"`  // what it fits later
	Takes  said.Sentence `json:"takes"`  // what is bought for the hulls
	Rows   []SupportRow  `json:"rows"`
}

// SupportRow is one hull under a school.
type SupportRow struct {
	Hull     string           `json:"hull"`
	Bears    *finding.Measure `json:"bears"`    // kg on each support at rest
	Pressure *finding.Measure `json:"pressure"` // on the hull, shocks counted
	Strapped *finding.Measure `json:"strapped"` // at rest under two straps
	Span     *finding.Measure `json:"span"`     // of the hull between supports
	Beyond   *finding.Measure `json:"beyond"`   // of the hull beyond them
}

// Figures of the schools (practice, C): m, and N of pull of a strap's end.
const (
	padWide, padLong = 0.05, 0.10 // of a hull's pad on a bar, two to a bar
	bunkWide         = 0.09
	bunkShare        = 0.6  // of a hull's length that two bunks take …
	bunkBears        = 0.6  // … and of that, what lies on them
	blockWide        = 0.15 // of a foam block, two to a frame
	blockLong        = 0.10
	saddleWide       = 0.06 // of a saddle's pad along the hull, two to a pair
	saddleLong       = 0.15
	strapEnd         = 250.0
	straps           = 2.0
)

// Contact is the pressure on a hull, Pa: what presses (N) over the area that bears
// (m²).
func Contact(force, area float64) float64 { return force / area }

// Schools compares padded bars, bunks along the hull and foam blocks on a flat deck
// for the hulls of a rig. Nothing of it is a verdict: what a hull takes its maker
// knows.
func Schools(r *rig.Rig) []HullSupport {
	out := []HullSupport{
		{
			ID:     "bars",
			Name:   "Padded cross bars",
			Slides: "lifted on, or over a roller",
			Later:  "any hull, by moving the pads",
			Rows:   []SupportRow{},
		},
		{
			ID:     "bunks",
			Name:   "Bunks along the hull",
			Slides: "slides on from the rear",
			Later:  "hulls of the same width, or on strut channel",
			Rows:   []SupportRow{},
		},
		{
			ID:     "foam",
			Name:   "Foam blocks on the deck",
			Slides: "lifted on, does not slide",
			Later:  "this hull alone",
			Rows:   []SupportRow{},
		},
		{
			ID:     "saddles",
			Name:   "Bought saddles on bars",
			Slides: "lifted on, or over rollers in the rear pair",
			Later:  "any hull, and the car's own bars",
			Rows:   []SupportRow{},
		},
		{
			ID:     "stack",
			Name:   "Stacked on foam",
			Slides: "lifted on; the lowest carries all",
			Later:  "like hulls",
			Rows:   []SupportRow{},
		},
	}
	widest, longest, hulls := 0.0, 0.0, 0
	k := r.Shock()
	for i := range r.Items {
		it := &r.Items[i]
		if it.Part || it.Shape != "hull" || it.Mass == nil || it.Mass.Nominal <= 0 {
			continue
		}
		l, m := it.Length(), it.Mass.Nominal
		half := l / 2
		widest, longest, hulls = max(widest, it.Right-it.Left), max(longest, l), hulls+1
		all := m // with what is lighter, or as heavy and stated later, on it
		for j := range r.Items {
			if o := &r.Items[j]; !o.Part && o.Shape == "hull" && o.Mass != nil && j != i &&
				(o.Mass.Nominal < m || o.Mass.Nominal == m && j > i) {
				all += o.Mass.Nominal
			}
		}
		bunk := min(bunkShare*l, r.DeckLength())
		for n, s := range []struct{ supports, area, span, on, m float64 }{
			{2, 4 * padWide * padLong, half, half, m},
			{2, 2 * bunk * bunkBears * bunkWide, 0, bunk, m},
			{4, 4 * blockWide * blockLong, half, half, m},
			{2, 4 * saddleWide * saddleLong, half, half, m},
			{4, 4 * blockWide * blockLong, half, half, all},
		} {
			m, weight := s.m, s.m*quantity.Gravity
			out[n].Rows = append(out[n].Rows, SupportRow{
				Hull: it.Name, Bears: finding.Exactly(quantity.KindMass, m/s.supports),
				Pressure: finding.Exactly(quantity.KindStress, Contact(k*weight, s.area)),
				Strapped: finding.Exactly(quantity.KindStress, Contact(weight+straps*2*strapEnd, s.area)),
				Span: finding.Exactly(
					quantity.KindLength,
					s.span,
				), Beyond: finding.Exactly(quantity.KindLength, (l-s.on)/2),
			})
		}
	}
	if len(out[0].Rows) == 0 {
		return nil
	}
	n := said.Count(hulls)
	out[0].Takes = said.Say("for %: 2 bars of %, 4 pads each hull", n, said.Length(widest+0.1))
	out[1].Takes = said.Say(
		"for %: 2 × % of pipe or timber each",
		n,
		said.Length(min(bunkShare*longest, r.DeckLength())),
	)
	out[2].Takes = said.Say("4 blocks each hull, % in all", said.Count(4*hulls))
	out[3].Takes = said.Say("for %: two pairs each; what a pair takes is on its label", n)
	out[4].Takes = said.Say("4 blocks between two hulls, % in all", said.Count(4*hulls))
	return out
}
