package wiring

import (
	"math"
	"slices"

	"zygonos/core/facts/norms"
	"zygonos/core/lang/finding"
	"zygonos/core/lang/quantity"
	"zygonos/core/lang/said"
	"zygonos/core/plan"
	"zygonos/core/rig"
)

// asked holds the lamps against what the region asks for in general.
func asked(r *rig.Rig, w *plan.Wiring) finding.Finding {
	f := base(r, CodeLamps, "Lamps that are required")
	rules, source := norms.LampRules(r.Plan.Region)
	f.Source = &source
	gross := 0.0
	if r.Trailer.Label != nil {
		gross = float64(r.Trailer.Label.Value)
	}
	var missing []said.Sentence
	wide, long := overAll(r)
	var open *finding.Need // what decides whether one more is asked for
	for i := range rules {
		rule := &rules[i]
		lacks := lacking(r, w, rule)
		switch {
		case lacks == nil:
		case rule.Asks(gross, wide, long):
			missing = append(missing, lacks)
		case open == nil:
			open = decides(r, rule)
		}
		if lacks == nil && rule.Ends && r.Trailer.DeckLength == nil && open == nil {
			open = deckLength(r) // what is in front and what at the rear
		}
	}
	f.Figure = finding.Exactly(quantity.KindCount, float64(len(missing)))
	f.Limit = finding.Exactly(quantity.KindCount, 0.0)
	switch {
	case len(missing) > 0:
		f.Outcome = finding.Fails
		f.Says = slices.Concat(said.Say("Missing: "), said.List(missing...), said.Say(". Check your local code."))
	case open != nil:
		f.Outcome, f.Figure, f.Limit, f.Needs = finding.Unknown, nil, nil, []finding.Need{*open}
		f.Says = slices.Concat(said.Say("Whether more lamps are required depends on "), open.Says, said.Say("."))
	default:
		f.Says = said.Say("Every lamp and reflector that is generally required is there. Check your local code.")
	}
	return f
}

func deckLength(r *rig.Rig) *finding.Need {
	return &finding.Need{
		Path: "/trailers/" + r.Scope.Trailer + "/deckLength", Says: said.Say("the length of the deck"), Where: said.Say("Tape it."),
	}
}

// lacking is what a rule wants that is not there: how many, or where those that are stand on one side or at one
// end alone; nil where nothing is.
func lacking(r *rig.Rig, w *plan.Wiring, rule *norms.LampRule) said.Sentence {
	word, middle := useWord[plan.LampUse(rule.What)], r.DeckLength()/2
	var at [2][2]int // on the left and the right, in front and at the rear
	n := 0
	for _, l := range w.Lamps {
		if string(l.What) != rule.What {
			continue
		}
		n++
		side, end := 0, 0
		if l.Right > 0 {
			side = 1
		}
		if float64(l.Back) > middle {
			end = 1
		}
		if l.Right != 0 {
			at[side][end]++
		}
	}
	if n < rule.Least {
		return said.Say("%", said.Counted(rule.Least-n, word, word+"s"))
	}
	if rule.Least%2 > 0 {
		return nil
	}
	for side, where := range [2]string{" on the left", " on the right"} {
		if short := rule.Least/2 - at[side][0] - at[side][1]; short > 0 {
			return said.Say("%"+where, said.Counted(short, word, word+"s"))
		}
		for end, half := range [2]string{" in front", " at the rear"} {
			if rule.Ends && r.Trailer.DeckLength != nil && at[side][end] == 0 {
				return said.Say("%"+half+where, said.Counted(1, word, word+"s"))
			}
		}
	}
	return nil
}

// guards is by how much mudguards may stand out over the tyres together, and head what lies before the ball, m
// (practice, C).
const (
	guards = 0.10
	head   = 0.10
)

// over reports whether a trailer is broader than so much over deck and tyres.
func over(r *rig.Rig, m float64) bool {
	wide, _ := overAll(r)
	return wide > m
}

// decides is what a rule hangs on that is not known of a trailer; nil where all is.
func decides(r *rig.Rig, rule *norms.LampRule) *finding.Need {
	root, t := "/trailers/"+r.Scope.Trailer, r.Trailer
	need := func(field, says, where string) *finding.Need {
		return &finding.Need{Path: root + "/" + field, Says: said.Say(says), Where: said.Say(where)}
	}
	switch {
	case rule.Over > 0 && t.Label == nil:
		return need(
			"label",
			"the trailer's gross weight",
			"On its plate or in its papers; for one you build, what it is built for.",
		)
	case rule.WideOver > 0 && t.WidthOverAll == nil && (t.Track == nil || over(r, rule.WideOver-guards)):
		return need("widthOverAll", "the width over all", "Tape it over {tyre}s or {mudguard}s.")
	case rule.LongOver > 0 && t.DeckLength == nil:
		return deckLength(r)
	case rule.LongOver > 0 && r.DeckFront == nil:
		return need(
			"couplingToDeck",
			"distance from {coupling} to the {headboard}",
			"Tape from the ball's middle to the front edge of the deck.",
		)
	}
	return nil
}

// overAll is a trailer's width and length over all, m: as stated, else over its tyres and from ball to tail.
func overAll(r *rig.Rig) (wide, long float64) {
	wide = r.DeckWidth()
	if t := r.Trailer.Track; t != nil {
		tyre := 0.165 // the usual one (practice, C)
		if w := r.Tyre().Width; w != nil {
			tyre = float64(*w)
		}
		wide = math.Max(wide, float64(t.Value)+tyre)
	}
	if w := r.Trailer.WidthOverAll; w != nil {
		wide = math.Max(wide, float64(w.Value))
	}
	long = r.DeckLength()
	if r.DeckFront != nil {
		long += r.DeckFront.Nominal + head
	}
	return wide, long
}

// places holds heights, distances from the side and between a pair against the rules.
func places(r *rig.Rig, w *plan.Wiring) (finding.Finding, bool) {
	f := base(r, CodePlaces, "Places of the lamps")
	rules, source := norms.LampRules(r.Plan.Region)
	f.Source = &source
	wide, _ := overAll(r)
	half := wide / 2
	beside := 0.0 // what mudguards may stand out where the width over all is not stated
	if r.Trailer.WidthOverAll == nil {
		beside = guards / 2
	}
	any := false
	var open *finding.Finding // the first lamp of which something is not known; one that fails comes before it
	subject := f.Subject
	for _, id := range plan.Ordered(w.Lamps, func(l plan.Lamp) int { return l.Order }) {
		l := w.Lamps[id]
		f.Subject = subject
		at := slices.IndexFunc(rules, func(rule norms.LampRule) bool { return rule.What == string(l.What) })
		if at < 0 {
			continue
		}
		rule := rules[at]
		name := said.Name(nameOf(&l), "A lamp")
		f.Subject = "/trailers/" + r.Scope.Trailer + "/wiring/lamps/" + id
		h := float64(l.Height)
		if rule.High > 0 || rule.Low > 0 {
			any = true
			switch {
			case h == 0 && open == nil:
				g := f
				g.Outcome, g.Says = finding.Unknown, said.Say("The height of % above the ground is not known.", name)
				g.Subject += "/height"
				g.Needs = []finding.Need{
					{
						Path:  g.Subject,
						Says:  said.Say("the lamp's height"),
						Where: said.Say("From the ground to its middle, empty."),
					},
				}
				open = &g
			case h == 0:
			case h < rule.Low-1e-9 || rule.High > 0 && h > rule.High+1e-9:
				f.Outcome = finding.Fails
				f.Figure = finding.Exactly(quantity.KindLength, h)
				f.Says = said.Say("% is % above the ground; the general rule is % to %. Check your local code.",
					name, said.Length(h), said.Length(rule.Low), said.Length(rule.High))
				if rule.High == 0 {
					f.Says = said.Say("% is % above the ground; the general rule is % at least. Check your local code.",
						name, said.Length(h), said.Length(rule.Low))
				}
				return f, true
			}
		}
		if in := half - math.Abs(float64(l.Right)); rule.Edge > 0 && in > rule.Edge+1e-9 {
			f.Outcome = finding.Fails
			f.Figure = finding.Exactly(quantity.KindLength, in)
			f.Says = said.Say(
				"% is % in from the trailer's side; the general rule is % at most. Check your local code.",
				name,
				said.Length(in),
				said.Length(rule.Edge),
			)
			return f, true
		} else if rule.Edge > 0 && in+beside > rule.Edge+1e-9 && open == nil {
			g := f
			g.Outcome, g.Tight, g.Figure = finding.Tight, finding.GuessTooRough, finding.Exactly(quantity.KindLength, in)
			g.Says = said.Say(
				"% is % in from the deck or {tyre}s; from the trailer's side the general rule is % at most. Tape the width over all.",
				name, said.Length(in), said.Length(rule.Edge))
			g.Needs = []finding.Need{{
				Path: "/trailers/" + r.Scope.Trailer + "/widthOverAll", Says: said.Say("the width over all"),
				Where: said.Say("Tape it over {tyre}s or {mudguard}s."),
			}}
			open = &g
		}
		apart := rule.Apart
		if 2*half < 1.3 {
			apart = rule.ApartThin
		}
		if apart == 0 || float64(l.Right) >= 0 {
			continue
		}
		for _, o := range w.Lamps {
			if d := float64(o.Right - l.Right); o.What == l.What && o.Right > 0 && d < apart-1e-9 {
				f.Outcome = finding.Fails
				f.Figure = finding.Exactly(quantity.KindLength, d)
				f.Says = said.Say(
					"The "+useWord[l.What]+"s are % apart; the general rule is % at least. Check your local code.",
					said.Length(d),
					said.Length(apart),
				)
				return f, true
			}
		}
	}
	if open != nil {
		return *open, true
	}
	if !any {
		return f, false
	}
	f.Subject = subject
	f.Says = said.Say("Heights and spacing of the lamps follow the general rules. Check your local code.")
	return f, true
}

// fed tells of lamps for which the plug has no pole, or that are made for another voltage.
func (h *Harness) fed() finding.Finding {
	f := base(h.r, CodeFeeds, "Lamps and plug")
	f.Source = &norms.PolesSource
	var without []said.Sentence
	for i := range h.lamps {
		l := &h.lamps[i]
		if l.l.Volts24 {
			f.Outcome = finding.Fails
			f.Subject += "/" + l.id + "/volts24"
			f.Says = said.Say(
				"% is made for 24 V and stays dark on 12 V. Change it.",
				said.Name(h.lampName(i), "A lamp"),
			)
			return f
		}
		if l.pole < 0 {
			without = append(without, said.Say("%", said.Name(h.lampName(i), "a lamp")))
		}
	}
	if h.earth < 0 {
		f.Outcome, f.Says = finding.Fails, said.Say("The plug has no earth.")
		return f
	}
	if len(without) > 0 {
		f.Outcome = finding.Fails
		f.Says = slices.Concat(said.Say("The plug has no pole for "), said.List(without...),
			said.Say(": use another plug, or a wire of its own from the car."))
		return f
	}
	f.Says = said.Say("The plug has a pole for every lamp.")
	return f
}
