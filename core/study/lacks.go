package study

import (
	"slices"
	"strings"

	"zygonos/core/lang/finding"
	"zygonos/core/lang/said"
	"zygonos/core/rig"
)

// Lacks are the plan's fields that a study takes and that are not stated.
type Lacks struct {
	Needs []finding.Need `json:"needs,omitempty"` // without these it has no answer
	Rough []finding.Need `json:"rough,omitempty"` // these it took at a usual figure: its answer is rough
}

// deckLacks are those of a study that lays something on a deck over an axle. What is usual for
// the trailer's kind is taken where it is not stated, and so is the deck's width.
func deckLacks(r *rig.Rig) (l Lacks) {
	need := func(list *[]finding.Need, field string, says, where said.Sentence) {
		*list = append(*list, finding.Need{Path: "/trailers/" + r.Scope.Trailer + field, Says: says, Where: where})
	}
	for _, n := range r.Usual {
		if !strings.HasSuffix(n.Path, "/deckHeight") { // how high it stands is nothing to where on it
			l.Rough = append(l.Rough, n)
		}
	}
	if r.Axle == nil {
		need(&l.Needs, "/couplingToAxle", said.Say("the distance from {coupling} to axle"),
			said.Say("Tape from the ball's middle to the axle's middle; on a tandem to midway between the axles."))
	}
	if r.DeckFront == nil {
		need(&l.Needs, "/couplingToDeck", said.Say("the distance from {coupling} to the {headboard}"),
			said.Say("Tape from the ball's middle to the front edge of the deck."))
	}
	if r.Trailer.DeckLength == nil {
		need(
			&l.Needs,
			"/deckLength",
			said.Say("the deck's length"),
			said.Say("Tape from the {headboard}'s inside to the tail."),
		)
	}
	if r.Trailer.DeckWidth == nil {
		need(&l.Rough, "/deckWidth", said.Say("the deck's width"),
			said.Say("Tape between the sides; until then % is assumed.", said.Length(r.DeckWidth())))
	}
	return l
}

// sum is what a study cannot do without, as a sentence.
func (l *Lacks) sum() said.Sentence {
	return slices.Concat(said.Say("Not known yet: enter "), finding.Takes(l.Needs), said.Say("."))
}

// roughly begins a sentence on what was taken at a usual figure.
func (l *Lacks) roughly(says said.Sentence) said.Sentence {
	if len(l.Rough) == 0 {
		return says
	}
	return append(said.Say("Roughly: "), says...)
}

// more adds the needs that are not there yet.
func more(needs, others []finding.Need) []finding.Need {
	for _, n := range others {
		if !slices.ContainsFunc(needs, func(o finding.Need) bool { return o.Path == n.Path }) {
			needs = append(needs, n)
		}
	}
	return needs
}
