// Package study proposes and compares variants of a plan. Each variant is a
// patch, applied to the plan and judged by review before it is offered.
package study

import (
	"context"
	"slices"

	"zygonos/core/ask/balance"
	"zygonos/core/ask/fit"
	"zygonos/core/lang/finding"
	"zygonos/core/lang/said"
	"zygonos/core/plan"
	"zygonos/core/review"
)

// Limits of the settled tier.
const (
	maxFixed = 6 // findings that get fixes
	maxFixes = 3 // fixes a finding
)

// Settled reviews a plan and adds what is made at rest: fixes, and the worst
// outcome of every outing.
func Settled(ctx context.Context, p *plan.Plan, q review.Request) *review.Report {
	rep := review.Review(p, q)
	at := review.Request{Outing: rep.Scope.Outing, Trailer: rep.Scope.Trailer}
	rep.Settled = true
	rep.Settle()
	rep.Doubt()
	rep.Show()
	unmended := addFixes(ctx, p, at, rep)
	rep.Outings = []review.OutingState{}
	unjudged := 0
	for _, id := range p.OutingIDs() {
		if id != at.Outing && over(ctx) {
			unjudged++
			continue
		}
		of := rep
		if id != at.Outing {
			of = whole(p, review.Request{Outing: id, Trailer: at.Trailer})
		}
		rep.Outings = append(rep.Outings, review.OutingState{ID: id, Outcome: of.Headline.Outcome})
		carried := review.HeadlineOf(of.Findings, notMust)
		for i := range rep.Wants {
			if w := &rep.Wants[i]; w.What == plan.WantCarry && w.Outing == id {
				w.Outcome, w.Says = carried.Outcome, carried.Says
			}
		}
	}
	if unmended+unjudged > 0 {
		rep.NotLooked = missed(unmended, unjudged)
	}
	return rep
}

// missed says what the time did not reach: ways out of so many checks, and so many outings.
func missed(unmended, unjudged int) said.Sentence {
	var parts []said.Sentence
	if unmended > 0 {
		parts = append(parts, said.Say("ways out of %", said.Counted(unmended, "check", "checks")))
	}
	if unjudged > 0 {
		parts = append(parts, said.Say("%", said.Counted(unjudged, "other outing", "other outings")))
	}
	return slices.Concat(said.Say("The time was up. Not looked at: "), said.List(parts...), said.Say("."))
}

// Verdict is a plan's answer at rest, without ways out and what the screen shows beside it.
func Verdict(p *plan.Plan, q review.Request) review.Headline {
	review.Ready(p)
	return whole(p, review.Pick(p, q)).Headline
}

// atRest is a plan's review with what is asked at rest alone: the balance of forces of what is tied down, every
// case of a drawn frame.
func atRest(p *plan.Plan, q review.Request) *review.Report {
	rep := review.Again(p, q)
	rep.Settle()
	return rep
}

// whole is that with what its guesses may come to, where that alone can change its outcome.
func whole(p *plan.Plan, q review.Request) *review.Report {
	rep := atRest(p, q)
	if itHolds(rep) {
		rep.Doubt()
	} else {
		rep.DoubtIf(rep.Headline.Outcome)
	}
	return rep
}

// itHolds reports whether a rig holds, with its musts or without.
func itHolds(rep *review.Report) bool {
	return rep.Headline.Outcome == finding.Holds || review.HeadlineOf(rep.Findings, notMust).Outcome == finding.Holds
}

// placed is a variant's review and how it comes out by the checks on which places bear, with what its guesses may come
// to where it would hold.
func placed(p *plan.Plan, q review.Request, kinds ...string) (*review.Report, finding.Outcome) {
	rep := atRest(p, q)
	rep.DoubtIf(placedOutcome(rep, kinds...))
	return rep, placedOutcome(rep, kinds...)
}

// notMust leaves out the musts, which are counted on their own.
func notMust(f *finding.Finding) bool { return f.Code != fit.CodeMust }

// addFixes looks for ways out, and tells for how many checks its time was up.
func addFixes(ctx context.Context, p *plan.Plan, q review.Request, rep *review.Report) (left int) {
	n, others := 0, newWarner(p, q.Trailer)
	for i := range rep.Findings {
		f := &rep.Findings[i]
		if f.Outcome != finding.Fails && f.Tight != finding.LittleRoom && !f.Softened {
			continue
		}
		if n++; n > maxFixed {
			break
		}
		if over(ctx) {
			left++
			continue
		}
		for _, v := range candidates(p, q, f) {
			if len(f.Fixes) == maxFixes {
				break
			}
			if over(ctx) {
				left++
				break
			}
			if fix, ok := tryFix(p, q, rep, f, v); ok {
				others.warn(&fix.Variant, q.Outing)
				f.Fixes = append(f.Fixes, fix)
			} else {
				f.InVain++
			}
		}
	}
	return left
}

// told is how a check comes out as it is stated, without other lengths than are usual.
func told(f *finding.Finding) finding.Outcome {
	if f.Softened {
		return finding.Fails
	}
	return f.Outcome
}

// tryFix judges the plan with the variant. It is a fix when the finding comes to
// a better outcome and no other check comes to a worse one.
func tryFix(
	p *plan.Plan,
	q review.Request,
	before *review.Report,
	f *finding.Finding,
	v finding.Variant,
) (finding.Fix, bool) {
	patched, err := plan.Apply(p, v.Patch)
	if err != nil {
		return finding.Fix{}, false
	}
	if problems := plan.Clean(patched); len(problems) > 0 {
		return finding.Fix{}, false
	}
	after := atRest(patched, q) // as it is stated, like that before
	if itHolds(after) {
		after.Doubt()
	}
	was := map[string]*finding.Finding{}
	for i := range before.Findings {
		was[before.Findings[i].Key()] = &before.Findings[i]
	}
	fix := finding.Fix{Variant: v}
	better, gone, news := false, true, finding.Holds
	for i := range after.Findings {
		a := &after.Findings[i]
		if a.Code == balance.CodeReading || a.Compares { // a scale spoke of how it stood before
			continue
		}
		b, known := was[a.Key()]
		switch {
		case !known:
			if a.Outcome == finding.Fails {
				return fix, false
			}
			news = finding.Worse(news, a.Outcome)
		case a.Key() == f.Key():
			gone = false
			better = a.Outcome.Rank() > told(b).Rank() && a.Outcome != finding.Unknown // what is not known mends nothing
			fix.Outcome, fix.Figure = a.Outcome, a.Figure
		case a.Outcome.Rank() < told(b).Rank():
			return fix, false
		case a.Outcome == finding.Fails && a.Margin != nil && b.Margin != nil && *a.Margin < *b.Margin-1e-9:
			return fix, false
		}
	}
	if gone { // what could not be judged for it is judged now
		better, fix.Outcome = true, news
	}
	return fix, better
}
