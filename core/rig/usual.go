package rig

import (
	"maps"
	"slices"

	"zygonos/core/facts/catalogue"
	"zygonos/core/lang/finding"
	"zygonos/core/lang/said"
	"zygonos/core/plan"
)

// usual gives the trailer the lengths of its stated kind where nobody taped them, with the range
// of the kind, and lists them: whatever follows from one is rough. A kind that is only guessed
// by the deck's length gives none. It never gives a rating. docs/method/trailer.md.
func (r *Rig) usual() {
	k, ok := catalogue.TrailerOf(r.Trailer.Kind)
	if !ok {
		return
	}
	t := r.Trailer
	take := func(f **plan.LengthEstimate, field string, v, pm length, says, where string) {
		if *f != nil || v <= 0 {
			return
		}
		*f = &plan.LengthEstimate{Value: v, PlusMinus: &pm, How: plan.Typical}
		r.Usual = append(r.Usual, finding.Need{Path: r.trailerPath(field), Says: said.Say(says),
			Where: append(
				said.Say(where),
				said.Say(" Until then % is assumed, usual for its kind.", said.Length(v))...)})
	}
	frontTold, axleTold := t.CouplingToDeck != nil, t.CouplingToAxle
	take(&t.DeckLength, "/deckLength", k.Deck.Mid, k.Deck.PlusMinus(),
		"the deck's length", "Tape from the {headboard}'s inside to the tail.")
	deck := t.DeckLength.Value
	mid, half := (k.AxleLow+k.AxleTop)/2, (k.AxleTop-k.AxleLow)/2
	front, doubt := k.Front.Mid, k.Front.PlusMinus()
	if axleTold != nil && !frontTold { // the axle tells where the deck begins better than the kind
		front, doubt = axleTold.Value-deck*length(mid), deck*length(half)
		front = max(front, k.Front.Low)
	}
	take(
		&t.CouplingToDeck,
		"/couplingToDeck",
		front,
		doubt,
		"the distance from {coupling} to the {headboard}",
		"Tape from the ball's middle to the front edge of the deck.",
	)
	take(
		&t.CouplingToAxle,
		"/couplingToAxle",
		t.CouplingToDeck.Value+deck*length(mid),
		deck*length(half),
		"the distance from {coupling} to axle",
		"Tape from the ball's middle to the axle's middle; on a tandem to midway between the axles.",
	)
	take(
		&t.DeckWidth,
		"/deckWidth",
		k.Width.Mid,
		k.Width.PlusMinus(),
		"the deck's width",
		"Tape between the sides.",
	)
	take(&t.DeckHeight, "/deckHeight", k.Height.Mid, k.Height.PlusMinus(),
		"the deck's height", "Tape from the ground to the deck, level and empty.")
}

// TakesUsual reports whether a length of the trailer, such as /couplingToAxle, is its kind's.
func (r *Rig) TakesUsual(field string) bool {
	path := r.trailerPath(field)
	return slices.ContainsFunc(r.Usual, func(n finding.Need) bool { return n.Path == path })
}

// Taped is the trailer without the lengths that are only usual for its kind.
func (r *Rig) Taped() *plan.Trailer {
	if len(r.Usual) == 0 {
		return r.Trailer
	}
	t := r.Plan.Trailers[r.Scope.Trailer]
	return &t
}

// Ends are plans in which the lengths that are its kind's stand at the ends of their ranges: all
// low, all high, and the axle against the rest. What comes to the same in all of them and in the
// plan does not hang on them; nil where all is taped.
func (r *Rig) Ends() []*plan.Plan {
	if len(r.Usual) == 0 {
		return nil
	}
	var out []*plan.Plan
	for _, at := range [][2]float64{{-1, -1}, {1, 1}, {-1, 1}, {1, -1}} {
		out = append(out, r.with(func(field string) float64 {
			if field == "/couplingToAxle" {
				return at[0]
			}
			return at[1]
		}))
	}
	return out
}

// EndsOf are plans in which one of those lengths alone stands at either end.
func (r *Rig) EndsOf(n finding.Need) []*plan.Plan {
	one := func(to float64) *plan.Plan {
		return r.with(func(field string) float64 {
			if r.trailerPath(field) == n.Path {
				return to
			}
			return 0
		})
	}
	return []*plan.Plan{one(-1), one(1)}
}

// with is the plan with each of those lengths so far from its middle, in half ranges.
func (r *Rig) with(to func(field string) float64) *plan.Plan {
	p, t := *r.Plan, *r.Trailer
	for field, f := range map[string]**plan.LengthEstimate{
		"/deckLength": &t.DeckLength, "/couplingToDeck": &t.CouplingToDeck, "/couplingToAxle": &t.CouplingToAxle,
		"/deckWidth": &t.DeckWidth, "/deckHeight": &t.DeckHeight,
	} {
		if !r.TakesUsual(field) {
			continue
		}
		e := **f
		e.Value += length(to(field)) * *e.PlusMinus
		*f = &e
	}
	p.Trailers = maps.Clone(p.Trailers)
	p.Trailers[r.Scope.Trailer] = t
	return &p
}
