package study_test

import (
	"context"
	"encoding/json"
	"fmt"
	"slices"
	"strings"
	"testing"

	"zygonos/core/internal/sample"
	"zygonos/core/lang/finding"
	"zygonos/core/plan"
	"zygonos/core/review"
	"zygonos/core/study"
)

// What is rated for less, weighs more, is known worse, or goes faster or steeper, makes no check better. The D value alone is by its definition of what car and
// trailer may weigh, whatever they do; and a heavier chest at the front keeps the tail from tipping.
func TestLessNeverHoldsBetter(t *testing.T) {
	rated := []string{
		"rating", "limit", "gross", "train", "towbraked", "towunbraked", "hitchtow", "hitchball",
		"couplingball", "tyreindex", "breaking", "winchlifts", "pull",
	}
	fair := []string{"towing.link.hitch-d", "stance.yard"}
	for _, demo := range []string{"skarrow-hut", "heather-hives", "ostrel-lock"} {
		p := sample.Demo(t, demo)
		text, err := json.Marshal(p)
		if err != nil {
			t.Fatal(err)
		}
		var doc any
		if err := json.Unmarshal(text, &doc); err != nil {
			t.Fatal(err)
		}
		tried := 0
		for _, outing := range p.OutingIDs() {
			was := outcomes(p, outing)
			figures(doc, "", func(path string, v float64) {
				field := strings.ToLower(path[strings.LastIndex(strings.TrimSuffix(path, "/value"), "/")+1:])
				worse := 0.8 * v
				switch {
				case field == "plusminus":
					worse = 3*v + 0.001
				case field == "speed", field == "slope", field == "angle":
					worse = 1.15 * v
				case field == "tyreindex":
					worse = v - 6
				case strings.HasPrefix(path, "/loads/") && strings.HasSuffix(path, "/mass/value"):
					worse = 1.3 * v
				case !slices.ContainsFunc(rated, func(r string) bool { return strings.Contains(field, r) }):
					return
				}
				q, err := plan.Apply(p, []finding.Op{{Op: "replace", Path: path, Value: worse}})
				if err != nil || len(plan.Clean(q)) > 0 {
					return
				}
				tried++
				for key, is := range outcomes(q, outing) {
					before, had := was[key]
					if had && is.Outcome.Rank() > before.Outcome.Rank() && !slices.Contains(fair, is.Code) {
						t.Errorf("%s, %s: %s from %v to %v: %s goes from %s to %s: %s", demo, outing, path, v, worse,
							key, before.Outcome, is.Outcome, is.Says.Text(p.Locale()))
					}
				}
			})
		}
		t.Logf("%s: %d figures", demo, tried)
		if tried < 20 {
			t.Errorf("%s: only %d figures were made worse", demo, tried)
		}
	}
}

// figures goes through the numbers of a document by their paths.
func figures(v any, path string, each func(path string, v float64)) {
	switch x := v.(type) {
	case map[string]any:
		for k, y := range x {
			figures(y, path+"/"+k, each)
		}
	case float64:
		each(path, x)
	}
}

// outcomes are a plan's findings by what they are of and about.
func outcomes(p *plan.Plan, outing string) map[string]finding.Finding {
	rep := review.Review(p, review.Request{Outing: outing})
	rep.Settle()
	out := map[string]finding.Finding{}
	for _, f := range rep.Findings {
		out[fmt.Sprint(f.Code, " ", f.Subject)] = f
	}
	return out
}

// The list of plans, the comparison and the open plan say the same of an outing, also where only what is asked at rest
// fails, here straps that the rule is content with, whose forces do not hold a top-heavy crate; or where it holds but for
// what a guess may come to, here a track guessed so roughly that the trailer may stand wider than the car's mirrors show.
func TestOneVerdictEverywhere(t *testing.T) {
	plans := map[string]*plan.Plan{
		"loose": sample.Loose(t),
		"rough": sample.Plan(t, "/trailers/t/track", `{"value":1.6,"plusMinus":0.64,"how":"guessed"}`),
	}
	for _, demo := range []string{"skarrow-hut", "heather-hives", "ostrel-lock"} {
		plans[demo] = sample.Demo(t, demo)
	}
	atRest, guessed := 0, 0
	for name, p := range plans {
		compared := study.Compare(context.Background(), p, review.Request{}, false)
		for _, outing := range p.OutingIDs() {
			q := review.Request{Outing: outing}
			rep := study.Settled(context.Background(), p, q)
			if got := study.Verdict(p, q); got.Outcome != rep.Headline.Outcome {
				t.Errorf("%s, %s: %s, opened %s", name, outing, got.Outcome, rep.Headline.Outcome)
			}
			live := review.Review(p, q)
			if live.Headline.Outcome != finding.Fails && rep.Headline.Outcome == finding.Fails {
				atRest++
			}
			if live.Headline.Outcome == finding.Holds && rep.Headline.Outcome == finding.Tight {
				guessed++
			}
			musts := slices.ContainsFunc(rep.Findings, func(f finding.Finding) bool { return f.Code == "job.must" && f.Outcome == finding.Fails })
			for _, c := range compared.Candidates {
				i := slices.IndexFunc(c.Outings, func(o study.CandidateOuting) bool { return o.ID == outing })
				if c.ID != rep.Scope.Trailer || c.Outings[i].Laid || len(c.Outings[i].Move) > 0 || musts {
					continue
				}
				if c.Outings[i].Outcome != rep.Headline.Outcome {
					t.Errorf("%s, %s: compared it is %s, opened %s: %s", name, outing, c.Outings[i].Outcome, rep.Headline.Outcome, rep.Headline.Says.Text(p.Locale()))
				}
			}
		}
	}
	for _, tow := range study.Tows(context.Background(), plans["rough"]) {
		if tow.Outcome != finding.Tight {
			t.Errorf("a car whose mirrors may not show the wheels: %s", tow.Outcome)
		}
	}
	if atRest == 0 || guessed == 0 {
		t.Errorf("in %d plans anything fails at rest alone, in %d a guess is too rough", atRest, guessed)
	}
}
