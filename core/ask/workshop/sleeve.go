package workshop

import (
	"math"

	"zygonos/core/facts/norms"
	"zygonos/core/lang/finding"
	"zygonos/core/lang/quantity"
	"zygonos/core/lang/said"
	"zygonos/core/rig"
)

// Play of what slides in another (practice, C), m.
const (
	playLeast = 0.0005 // it still goes in with dust on it
	playMost  = 0.0015 // it does not rattle
)

// SleevePlay is what is left between an inner and an outer with their coats, m: a coat takes its thickness on each of two
// faces, of both where both are coated.
func SleevePlay(inside, outside, coat float64, both bool) float64 {
	faces := 2.0
	if both {
		faces = 4
	}
	return inside - outside - faces*coat
}

// sleeveOf says the play of a sleeve or pocket; nil where it is not taped.
func sleeveOf(r *rig.Rig) said.Sentence {
	f, ok := sleeve(r)
	if !ok {
		return nil
	}
	return f.Says
}

// sleeve judges the play of a sleeve or pocket with paint or zinc on.
func sleeve(r *rig.Rig) (finding.Finding, bool) {
	w := r.Trailer.Workshop
	f := base(r, CodeSleeve, "A sleeve's play", "sleeve/inside")
	if w == nil || w.Sleeve == nil || w.Sleeve.Inside == nil && w.Sleeve.Outside == nil {
		return f, false
	}
	s := w.Sleeve
	if s.Inside == nil || s.Outside == nil {
		field := "sleeve/inside"
		if s.Inside != nil {
			field = "sleeve/outside"
		}
		return need(r, f, field, "both widths of the sleeve", "With a caliper, across the seam too."), true
	}
	coat := 0.0
	if s.Coat != nil {
		coat = float64(*s.Coat)
	}
	play := SleevePlay(float64(*s.Inside), float64(*s.Outside), coat, s.BothCoat)
	f.Source = norms.Practice("half a millimetre slides in, one and a half rattles")
	f.Figure, f.Limit = finding.Exactly(quantity.KindLength, play), finding.Exactly(quantity.KindLength, playLeast)
	switch {
	case play < 0:
		f.Outcome = finding.Fails
		f.Says = said.Say(
			"With its coat the inner tube is % too wide. Leave the sliding faces bare and greased, or use a wider sleeve.",
			said.Of(quantity.KindLength, -play),
		)
	case play < playLeast:
		f.Outcome, f.Tight = finding.Tight, finding.LittleRoom
		f.Says = said.Say(
			"Only % of play with its coat on: it jams with grit. Scrape runs off, grease it.",
			said.Of(quantity.KindLength, play),
		)
	case play > playMost:
		f.Outcome, f.Tight = finding.Tight, finding.LittleRoom
		f.Says = said.Say(
			"% of play rattles. Use a shim of % on each side, or a set screw.",
			said.Of(
				quantity.KindLength,
				play,
			),
			said.Of(quantity.KindLength, math.Round((play-playLeast)/2*1e4)/1e4),
		)
	default:
		f.Says = said.Say(
			"% of play with its coat on: it slides in and does not rattle.",
			said.Of(quantity.KindLength, play),
		)
	}
	return f, true
}
