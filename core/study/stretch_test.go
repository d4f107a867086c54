package study_test

import (
	"context"
	"math"
	"slices"
	"testing"

	"zygonos/core/begin"
	"zygonos/core/lang/finding"
	"zygonos/core/lang/quantity"
	"zygonos/core/plan"
	"zygonos/core/review"
	"zygonos/core/study"
)

// What a stretch says beforehand is what the stretched trailer says afterwards: payload, weight, and every check
// that it calls worse.
func TestStretchSaysWhatComes(t *testing.T) {
	p := built(t, "/loads/anvil", `{"order":2,"name":"Anvil","kind":"other","mass":{"value":190,"plusMinus":0,"how":"weighed"},"size":{"length":{"value":0.2,"how":"weighed"},"width":{"value":0.15,"how":"weighed"},"height":{"value":0.3,"how":"weighed"}},"centre":{}}`,
		"/outings/o/layouts/t/placements/anvil", `{"on":"deck","at":{"back":1.85}}`, "/trailers/t/floor", `"boards"`)
	ops, err := begin.Patch(p, &begin.Asked{What: "frame", Kind: "beam", Trailer: "t"})
	if err != nil {
		t.Fatal(err)
	}
	if p, err = plan.Apply(p, ops); err != nil {
		t.Fatal(err)
	}
	plan.Clean(p)
	for _, q := range []begin.Asked{
		{Kind: "longer", By: 1.2, At: 1}, {Kind: "wider", By: 0.3}, {Kind: "drawbar", By: 0.8}, {Kind: "longer", By: -0.3, At: 2},
	} {
		q.Trailer = "t"
		s := study.Stretch(context.Background(), p, &q)
		if s.Fails != "" || s.Fix == nil || len(s.Rows) == 0 || len(s.Notes) == 0 {
			t.Fatalf("%+v: %+v", q, s)
		}
		after, err := plan.Apply(p, s.Fix.Patch)
		if err != nil {
			t.Fatal(err)
		}
		rep := review.Review(after, review.Request{Outing: "o", Trailer: "t"})
		rep.Settle()
		for _, w := range s.Worse {
			found := false
			for _, f := range rep.Findings {
				found = found || f.Code == w.Now.Code && f.Outcome == w.Now.Outcome
			}
			if !found || w.Now.Outcome.Rank() > w.Was.Rank() {
				t.Errorf("%+v: %s was %s, said to come to %s", q, w.Now.Code, w.Was, w.Now.Outcome)
			}
		}
		first := review.Review(p, review.Request{Outing: "o", Trailer: "t"})
		first.Settle()
		was := map[string]finding.Outcome{}
		for i := range first.Findings {
			was[first.Findings[i].Key()] = first.Findings[i].Outcome
		}
		for i := range rep.Findings { // and whatever comes out worse is stated
			f := &rep.Findings[i]
			told := slices.ContainsFunc(s.Worse, func(w study.StretchCheck) bool { return w.Now.Code == f.Code && w.Now.Subject == f.Subject })
			if o, had := was[f.Key()]; had && f.Outcome.Rank() < o.Rank() && !told {
				t.Errorf("%+v: %s of %s goes from %s to %s and is not told", q, f.Code, f.Subject, o, f.Outcome)
			}
		}
		for _, f := range rep.Findings {
			for _, row := range s.Rows {
				if row.Name.Text(quantity.Locale{}) == "Payload left" && f.Code == "towing.payload" && f.Figure != nil &&
					math.Abs(f.Figure.Value-row.Now.Value) > 1e-9 {
					t.Errorf("%+v: payload %v, said %v", q, f.Figure.Value, row.Now.Value)
				}
			}
		}
		if f := sampleFind(rep.Findings, "frame.strength"); f == nil || f.Outcome == finding.Unknown {
			t.Errorf("%+v: no strength afterwards", q)
		}
	}
	if s := study.Stretch(context.Background(), p, &begin.Asked{Kind: "longer", Trailer: "t"}); s.Fails == "" {
		t.Error("stretched by nothing")
	}
}

func sampleFind(fs []finding.Finding, code string) *finding.Finding {
	for i := range fs {
		if fs[i].Code == code {
			return &fs[i]
		}
	}
	return nil
}
