package study_test

import (
	"context"
	"encoding/json"
	"os"
	"strings"
	"testing"

	"zygonos/core/begin"
	"zygonos/core/lang/finding"
	"zygonos/core/plan"
	"zygonos/core/review"
	"zygonos/core/rig"
	"zygonos/core/study"
)

// stranger is a newcomer: what a shop label, a tape and a bathroom scale gave to the first run, and
// what the rig is in truth.
type stranger struct {
	Name    string
	Answers json.RawMessage
	Truth   []finding.Op
}

// entries counts what was typed or chosen, region and units as one.
func (s *stranger) entries(t *testing.T) int {
	t.Helper()
	n := 0
	var answers map[string]any
	if err := json.Unmarshal(s.Answers, &answers); err != nil {
		t.Fatal(err)
	}
	for k, v := range answers {
		switch {
		case k == "units" || v == "" || k == "counts" && v == "unsure":
		case k == "loads":
			for _, l := range v.([]any) {
				for field := range l.(map[string]any) { // the kind comes with the name; a doubt with its weight
					if l := l.(map[string]any); field != "kind" && field != "plusMinus" &&
						!(field == "count" && l["count"] == 1.0) {
						n++
					}
				}
			}
		default:
			n++
		}
	}
	return n
}

// Ten strangers with their own rigs: with at most sixteen entries each has a verdict on payload,
// car and ball; what stands on the deck overlaps nothing and is said where it reaches beyond; the
// figures' ranges hold those of the rig as it truly is; and every study answers or names fields.
func TestStrangers(t *testing.T) {
	data, err := os.ReadFile("testdata/strangers.json")
	if err != nil {
		t.Fatal(err)
	}
	var all []stranger
	if err := json.Unmarshal(data, &all); err != nil {
		t.Fatal(err)
	}
	if len(all) != 10 {
		t.Fatalf("%d strangers", len(all))
	}
	for _, s := range all {
		t.Run(s.Name, func(t *testing.T) {
			t.Parallel()
			if n := s.entries(t); n > 16 || n < 6 {
				t.Errorf("%d entries", n)
			}
			read := func() *plan.Plan {
				var a begin.FirstAnswers
				if err := json.Unmarshal(s.Answers, &a); err != nil {
					t.Fatal(err)
				}
				p, err := begin.First(&a)
				if err != nil {
					t.Fatal(err)
				}
				return p
			}
			p := read()
			rep := study.Settled(context.Background(), p, review.Request{})
			if len(rep.Problems) > 0 || len(rep.Questions) > 0 {
				t.Errorf("%v %v", rep.Problems, rep.Questions)
			}
			for _, code := range []string{"towing.link.gross", "towing.link.tow", "balance.ball-window"} {
				if f := found(t, rep, code); f.Outcome == finding.Unknown && !unclear(&f) {
					t.Errorf("%s is not known: %s", code, f.Says.Text(p.Locale()))
				}
			}
			s.standing(t, rep, p)
			s.true(t, rep, read())
			s.asked(t, read)
		})
	}
}

// unclear reports whether a finding is open only for what the label counts or whether there are
// brakes: two verdicts, both stated.
func unclear(f *finding.Finding) bool {
	return len(f.Needs) == 1 &&
		(strings.HasSuffix(f.Needs[0].Path, "/counts") || strings.HasSuffix(f.Needs[0].Path, "/brakes"))
}

func found(t *testing.T, rep *review.Report, code string) finding.Finding {
	t.Helper()
	for _, f := range rep.Findings {
		if f.Code == code {
			return f
		}
	}
	t.Errorf("no %s", code)
	return finding.Finding{}
}

// standing looks at where the app placed the loads.
func (s *stranger) standing(t *testing.T, rep *review.Report, p *plan.Plan) {
	if len(rep.Headline.Says) == 0 || rep.Headline.Outcome == finding.Fails {
		t.Errorf("headline %s: %s", rep.Headline.Outcome, rep.Headline.Says.Text(p.Locale()))
	}
	r := rig.Resolve(p, rep.Scope.Trailer, rep.Scope.Outing)
	_, tail := r.Deck()
	for i := range r.Items {
		it := &r.Items[i]
		for k := range r.Items[:i] {
			o := &r.Items[k]
			if it.Overlaps(o) && it.Front < o.Rear-1e-6 && o.Front < it.Rear-1e-6 {
				t.Errorf("%s stands in %s", it.Name, o.Name)
			}
		}
		if it.Rear > tail+1e-6 {
			if f := found(t, rep, "clearance.rear"); f.Figure == nil {
				t.Errorf("%s reaches beyond the tail, and nothing says so", it.Name)
			}
		}
	}
}

// true holds the rough figures against the rig as it is, its loads standing as the app said.
func (s *stranger) true(t *testing.T, rough *review.Report, p *plan.Plan) {
	ops := s.Truth
	for path, pl := range rough.Placed {
		ops = append(ops, finding.Op{Op: "add", Path: path, Value: pl})
	}
	real, err := plan.Apply(p, ops)
	if err != nil {
		t.Fatal(err)
	}
	rep := review.Review(real, review.Request{})
	for name, pair := range map[string][2]*finding.Measure{
		"mass": {rough.Figures.Mass, rep.Figures.Mass}, "ball": {rough.Figures.Ball, rep.Figures.Ball}, "axle": {rough.Figures.Axle, rep.Figures.Axle},
	} {
		a, b := pair[0], pair[1]
		if a == nil || b == nil {
			t.Errorf("%s is not known: %v %v", name, a, b)
			continue
		}
		if a.Low == nil || b.Value < *a.Low-1e-6 || b.Value > *a.High+1e-6 {
			t.Errorf(
				"%s is %.1f kg in truth, roughly %.1f (%v to %v)",
				name,
				b.Value,
				a.Value,
				deref(a.Low),
				deref(a.High),
			)
		}
	}
}

func deref(v *float64) any {
	if v == nil {
		return nil
	}
	return *v
}

// asked puts the four studies of placing.
func (s *stranger) asked(t *testing.T, read func() *plan.Plan) {
	for name, ask := range map[string]func() (study.Lacks, string){
		"arrange": func() (study.Lacks, string) {
			a := study.Arrange(context.Background(), read(), review.Request{}, nil)
			return a.Lacks, a.Says.Text(read().Locale())
		},
		"racks": func() (study.Lacks, string) {
			a := study.PlanRacks(context.Background(), read(), review.Request{})
			return a.Lacks, a.Says.Text(read().Locale())
		},
		"axle": func() (study.Lacks, string) {
			a := study.PlaceAxle(context.Background(), read(), "trailer")
			return a.Lacks, a.Says.Text(read().Locale())
		},
		"ramps": func() (study.Lacks, string) {
			a := study.PlaceRamps(read(), review.Request{})
			return a.Lacks, a.Says.Text(read().Locale())
		},
	} {
		if lacks, says := ask(); says == "" || strings.Contains(says, "Not known") && len(lacks.Needs) == 0 {
			t.Errorf("%s: %q, %+v", name, says, lacks)
		}
	}
}
