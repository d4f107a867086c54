package review_test

import (
	"slices"
	"testing"

	"zygonos/core/internal/sample"
	"zygonos/core/lang/finding"
	"zygonos/core/review"
)

// Straps that the rule is content with hold live and fail at rest: while something is moved that stands, marked,
// and the headline says so; of another outing, or made up, nothing follows.
func TestFollow(t *testing.T) {
	p := sample.Loose(t)
	rest := review.Review(p, review.Request{})
	live := len(rest.Findings)
	if rest.Headline.Outcome == finding.Fails {
		t.Fatal("it fails live")
	}
	rest.Settle()
	if rest.Headline.Outcome != finding.Fails || len(rest.Findings) == live {
		t.Fatalf("%s at rest", rest.Headline.Outcome)
	}
	follows := func(rep *review.Report) (n int) {
		for _, f := range rep.Findings {
			if f.Follows {
				n++
			}
		}
		return n
	}
	next := review.Review(p, review.Request{})
	next.Follow(slices.Concat(rest.Findings, rest.Findings)) // each once
	if next.Headline.Outcome != finding.Fails || len(next.Findings) != len(rest.Findings) || follows(next) != len(rest.Findings)-live {
		t.Errorf("%s with %d of %d findings, %d follow", next.Headline.Outcome, len(next.Findings), len(rest.Findings), follows(next))
	}
	// a check that holds live and was tight by a guess stays tight, with the live sentence
	doubted := review.Review(p, review.Request{})
	i := slices.IndexFunc(doubted.Findings, func(f finding.Finding) bool { return f.Outcome == finding.Holds })
	before := doubted.Findings[i]
	before.Outcome, before.Tight, before.Doubted, before.Says = finding.Tight, finding.GuessTooRough, true, nil
	doubted.Follow([]finding.Finding{before})
	f := sample.Find(t, doubted.Findings, before.Code)
	if f.Outcome != finding.Tight || !f.Follows || len(f.Says) == 0 {
		t.Errorf("%+v", f)
	}
	other := rest.Findings[slices.IndexFunc(rest.Findings, func(f finding.Finding) bool { return f.Rest })]
	for name, change := range map[string]func(f *finding.Finding){
		"another outing": func(f *finding.Finding) { f.Scope.Outing = "x" }, "no stage": func(f *finding.Finding) { f.Stage = "x" },
		"no outcome": func(f *finding.Finding) { f.Outcome = "x" }, "not of rest": func(f *finding.Finding) { f.Rest = false },
	} {
		rep, odd := review.Review(p, review.Request{}), other
		change(&odd)
		if rep.Follow([]finding.Finding{odd}); follows(rep) != 0 {
			t.Errorf("%s follows", name)
		}
	}
	none := review.Review(p, review.Request{Trailer: "none"})
	none.Follow(rest.Findings)
}
