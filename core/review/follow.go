package review

import (
	"slices"

	"zygonos/core/lang/finding"
)

// mostFollow is how many findings of the last rest follow a live report.
const mostFollow = 200

// Follow lets what was found at the last rest stand until the next one, marked: what is judged at rest alone, what
// the stage on screen left out, and that a check which holds or fails live is tight by a guess. Without it a hand
// that moves something would see what fails at rest come and go. Findings of another trailer or outing are passed
// over.
func (rep *Report) Follow(before []finding.Finding) {
	if rep.rig == nil {
		return
	}
	at := map[string]int{}
	for i := range rep.Findings {
		at[rep.Findings[i].Key()] = i
	}
	var more []finding.Finding
	for _, b := range before[:min(len(before), mostFollow)] {
		if !b.Rest && !b.Doubted && !b.Softened || b.Scope.Trailer != rep.Scope.Trailer ||
			b.Scope.Outing != rep.Scope.Outing || !slices.Contains(Stages, b.Stage) {
			continue
		}
		i, live := at[b.Key()]
		switch {
		case live && i >= 0 && b.Outcome == finding.Tight && turned(rep.Findings[i].Outcome, &b):
			f := &rep.Findings[i] // its figures are live, its doubt is of before
			f.Outcome, f.Tight, f.Needs, f.Follows = b.Outcome, b.Tight, b.Needs, true
		case !live && b.Rest && slices.Contains(outcomes, b.Outcome):
			b.Follows, b.Fixes = true, nil
			more = append(more, b)
			at[b.Key()] = -1 // once
		}
	}
	finding.Sense(more)
	rep.Findings = append(rep.Findings, more...)
	rep.weigh()
}

// turned reports whether a finding of the last rest was made tight, from the outcome that is live, by what its guesses
// may come to.
func turned(live finding.Outcome, b *finding.Finding) bool {
	return live == finding.Holds && b.Doubted || live == finding.Fails && b.Softened
}

var outcomes = []finding.Outcome{finding.Fails, finding.Unknown, finding.Tight, finding.Holds}
