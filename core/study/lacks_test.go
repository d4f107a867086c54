package study_test

import (
	"context"
	"encoding/json"
	"strings"
	"testing"

	"zygonos/core/internal/sample"
	"zygonos/core/lang/finding"
	"zygonos/core/plan"
	"zygonos/core/review"
	"zygonos/core/study"
)

// told reports whether anything stands at a path of a plan.
func told(t *testing.T, p *plan.Plan, path string) bool {
	t.Helper()
	b, err := plan.Write(p)
	if err != nil {
		t.Fatal(err)
	}
	var doc any
	if err := json.Unmarshal(b, &doc); err != nil {
		t.Fatal(err)
	}
	for _, key := range strings.Split(path[1:], "/") {
		m, ok := doc.(map[string]any)
		if !ok || m[key] == nil {
			return false
		}
		doc = m[key]
	}
	return doc != nil
}

// With each thing of a first run missing in turn no study is a dead end: it answers, or it
// names fields that are not stated yet, and the one that is missing among them.
func TestNoDeadEnd(t *testing.T) {
	trailer := "/trailers/t"
	for _, gone := range []string{"", "/couplingToAxle", "/couplingToDeck", "/deckLength", "/deckWidth", "/empty", "/track", "/label", "/axleMoves"} {
		for _, kind := range []string{"canoe", "quad", ""} {
			sets := []string{sample.Crate, anywhereElse, "/loads/crate/kind", `"` + kind + `"`}
			if gone != "" {
				sets = append(sets, trailer+gone, "null")
			}
			make := func() *plan.Plan { return sample.Plan(t, sets...) }
			for _, s := range []struct {
				name string
				ask  func(p *plan.Plan) (study.Lacks, int, string)
			}{
				{"arrange", func(p *plan.Plan) (study.Lacks, int, string) {
					a := study.Arrange(context.Background(), p, review.Request{}, nil)
					return a.Lacks, len(a.Options), a.Says.Text(p.Locale())
				}},
				{"racks", func(p *plan.Plan) (study.Lacks, int, string) {
					a := study.PlanRacks(context.Background(), p, review.Request{})
					return a.Lacks, len(a.Options), a.Says.Text(p.Locale())
				}},
				{"axle", func(p *plan.Plan) (study.Lacks, int, string) {
					a := study.PlaceAxle(context.Background(), p, "t")
					n := 0
					if a.Outcome != finding.Unknown {
						n = 1
					}
					return a.Lacks, n, a.Says.Text(p.Locale())
				}},
				{"ramps", func(p *plan.Plan) (study.Lacks, int, string) {
					a := study.PlaceRamps(p, review.Request{})
					return a.Lacks, len(a.Options), a.Says.Text(p.Locale())
				}},
			} {
				lacks, answers, says := s.ask(make())
				if strings.Contains(says, "Not known") != (len(lacks.Needs) > 0) || answers > 0 == (len(lacks.Needs) > 0) && s.name == "arrange" {
					t.Errorf("%s without %q: %d answers, %q, %+v", s.name, gone, answers, says, lacks)
				}
				for _, n := range append(lacks.Needs, lacks.Rough...) {
					if told(t, make(), n.Path) {
						t.Errorf("%s without %q asks for %s, which is told", s.name, gone, n.Path)
					}
					if len(n.Says) == 0 || len(n.Where) == 0 {
						t.Errorf("%s without %q: %+v", s.name, gone, n)
					}
				}
				if gone == "/deckWidth" && answers > 0 && (len(lacks.Rough) != 1 || !strings.HasPrefix(says, "Roughly: ")) && (s.name == "arrange" || s.name == "racks") {
					t.Errorf("%s without a deck's width: %q %+v", s.name, says, lacks)
				}
			}
		}
	}
}

const anywhereElse = `{"on":"any","at":{"back":0}}`

// An axle within a hair of the ball is stated, and cannot be: it is asked for again.
func TestArrangeAsksAgain(t *testing.T) {
	p := sample.Plan(t, "/trailers/t/couplingToAxle", `{"value":0.0024,"plusMinus":0.005,"how":"weighed"}`)
	a := study.Arrange(context.Background(), p, review.Request{}, nil)
	if says := a.Says.Text(p.Locale()); len(a.Options) > 0 || len(a.Needs) != 1 || !strings.Contains(says, "carries nothing. Tape it again.") {
		t.Errorf("%q %+v", says, a.Needs)
	}
}
