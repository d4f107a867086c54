package review_test

import (
	"os"
	"strings"
	"testing"

	"zygonos/core/ask/ramp"
	"zygonos/core/internal/sample"
	"zygonos/core/lang/finding"
	"zygonos/core/plan"
	"zygonos/core/review"
)

// No check holds on a guess with which it fails: every estimate of the demos is made a guess within
// three tenths, and what then holds at rest is held against the same plan with that figure known, at
// either end.
func TestGuessesDoNotHold(t *testing.T) {
	long(t)
	stride := 5
	if os.Getenv("DEEP") != "" {
		stride = 1
	}
	tried, n := 0, 0
	full, _ := demoDoc(t)
	for name, p := range map[string]*plan.Plan{"hut": full, "lock": sample.Demo(t, "ostrel-lock"), "hives": sample.Demo(t, "heather-hives")} {
		for _, path := range pathsOf(t, p) {
			path, is := strings.CutSuffix(path, "/how")
			if !is {
				continue
			}
			if n++; n%stride != 0 {
				continue
			}
			known := func(share float64) *plan.Plan { return estimated(p, path, share, 0) }
			guessed := estimated(p, path, 1, 0.3)
			if guessed == nil {
				continue
			}
			for outing := range p.Outings {
				tried++
				q := review.Request{Outing: outing}
				rep := review.Review(guessed, q)
				rep.Doubt()
				holds := map[string]*finding.Finding{}
				for i := range rep.Findings {
					if f := &rep.Findings[i]; f.Outcome == finding.Holds {
						holds[f.Key()] = f
					}
				}
				for _, end := range []*plan.Plan{known(0.7), known(1.3)} {
					if end == nil {
						continue
					}
					for _, f := range review.Review(end, q).Findings {
						if g := holds[f.Key()]; g != nil && f.Outcome == finding.Fails {
							t.Errorf("%s, %s guessed: %q holds, and fails with it known: %q", name, path, g.Says.Text(p.Locale()), f.Says.Text(p.Locale()))
						}
					}
				}
			}
		}
	}
	if tried < 400/stride {
		t.Errorf("only %d were tried", tried)
	}
}

// estimated is a plan with an estimate at so many times its value, within a share of that; nil where
// there is none, or it makes no sense.
func estimated(p *plan.Plan, path string, times, within float64) *plan.Plan {
	for _, g := range p.Guesses(func(string) bool { return true }, -1) {
		if g.Path != path {
			continue
		}
		out, err := plan.Apply(p, []finding.Op{
			{Op: "replace", Path: path + "/value", Value: times * g.Range.Nominal},
			{Op: "add", Path: path + "/plusMinus", Value: within * g.Range.Nominal},
			{Op: "add", Path: path + "/relative", Value: within},
		})
		if err == nil && plan.Clean(out) == nil {
			return out
		}
	}
	return nil
}

// What a guess may come to is said with the check that it turns: 300 kg on ramps for 450 hold; a guess of 300 that
// may be half as much again does not, and is asked for.
func TestDoubtIsSaid(t *testing.T) {
	p, _ := demoDoc(t)
	q := review.Request{Outing: "two-seater-day"}
	p, err := plan.Apply(p, []finding.Op{
		{Op: "replace", Path: "/loads/two-seater/mass", Value: map[string]any{"value": 600, "plusMinus": 240, "how": "guessed"}},
		{Op: "replace", Path: "/parts/ramps/ramp/rating", Value: 700},
		{Op: "add", Path: "/parts/ramps/ramp/counts", Value: "vehicle"},
		{Op: "add", Path: "/parts/ramps/ramp/per", Value: "pair"},
	})
	if err != nil {
		t.Fatal(err)
	}
	rep := review.Review(p, q)
	before := find(t, rep, ramp.CodeRating).Outcome
	rep.Doubt()
	f := find(t, rep, ramp.CodeRating)
	says := f.Says.Text(p.Locale())
	if before != finding.Holds || f.Outcome != finding.Tight || f.Tight != finding.GuessTooRough ||
		!strings.Contains(says, "But with the weight of") || len(f.Needs) != 1 || f.Needs[0].Path != "/loads/two-seater/mass" {
		t.Errorf("%s, then %s: %q %+v", before, f.Outcome, says, f.Needs)
	}
}

func find(t *testing.T, rep *review.Report, code string) *finding.Finding {
	t.Helper()
	for i := range rep.Findings {
		if rep.Findings[i].Code == code {
			return &rep.Findings[i]
		}
	}
	t.Fatalf("no %s", code)
	return nil
}
