package review_test

import (
	"os"
	"path/filepath"
	"strings"
	"testing"

	"zygonos/core/internal/sample"
	"zygonos/core/lang/finding"
	"zygonos/core/review"
)

// Every stage but Practice says what it takes at least, and its page for owners says the same.
func TestLeast(t *testing.T) {
	for _, stage := range review.Stages {
		least, ok := review.Least[stage]
		if stage == "practice" {
			continue
		}
		if !ok {
			t.Errorf("%s does not say what it takes at least", stage)
			continue
		}
		page, err := os.ReadFile(filepath.Join("..", "..", "docs", "guide", stage+".md"))
		if err != nil {
			t.Fatal(err)
		}
		plain := strings.NewReplacer("{", "", "}", "").Replace(least)
		if want := "**The least that gives an answer**: " + plain + "."; !strings.Contains(string(page), want) {
			t.Errorf("docs/guide/%s.md does not say: %s", stage, want)
		}
	}
}

// A load that is not tied keeps Tie-down from holding, beside one that is.
func TestUntiedStage(t *testing.T) {
	ring := func(right string) string {
		return `{"order":1,"kind":"ring-welded","rating":2000,"at":{"back":0.5,"right":` + right + `}}`
	}
	sets := []string{
		"/trailers/t/tiePoints", `{"l":` + ring("-0.7") + `,"r":` + ring("0.7") + `}`,
		"/straps", `{"s":{"order":1,"name":"Strap","kind":"ratchet","limit":2000,"length":6,"count":4}}`,
		"/outings/o/layouts/t/lashings", `{"x":{"order":1,"load":"crate","strap":"s","from":"l","to":"r"},"y":{"order":2,"load":"crate","strap":"s","from":"l","to":"r"}}`,
	}
	of := func(sets ...string) (stage finding.Outcome, untied int) {
		rep := review.Review(sample.Plan(t, sets...), review.Request{Trailer: "t", Outing: "o"})
		rep.Settle()
		for _, s := range rep.Stages {
			if s.ID == "tie" {
				stage = s.Outcome
			}
		}
		for _, f := range rep.Findings {
			if f.Stage == "tie" && f.Outcome == finding.Unknown {
				untied++
			}
		}
		return stage, untied
	}
	tied, _ := of(sets...)
	both, untied := of(append(sets, "/loads/second", `{"order":2,"name":"Second","mass":{"value":40,"how":"weighed"},
		"size":{"length":{"value":0.4,"how":"weighed"},"width":{"value":0.4,"how":"weighed"},"height":{"value":0.4,"how":"weighed"}},"centre":{}}`,
		"/outings/o/layouts/t/placements/second", `{"on":"deck","at":{"back":1.5}}`)...)
	if tied == finding.Unknown || untied == 0 || both != finding.Unknown && both != finding.Fails {
		t.Errorf("one tied: %s; another untied beside it: %s, %d not known", tied, both, untied)
	}
}

// A stage tells what it takes at least until the plan answers it: by a known finding, or by what it shows.
func TestLeastOf(t *testing.T) {
	least := func(stage string, sets ...string) bool {
		rep := review.Review(sample.Plan(t, sets...), review.Request{Trailer: "t", Outing: "o"})
		rep.Settle()
		for _, s := range rep.Stages {
			if s.ID == stage {
				return len(s.Least) > 0
			}
		}
		t.Fatal(stage)
		return false
	}
	for _, c := range []struct {
		stage string
		sets  []string
		want  bool
	}{
		{"road", nil, false}, {"road", []string{"/outings/o/layouts/t/placements", `{}`}, true},
		{"balance", nil, false}, {"frame", nil, true}, {"tie", nil, true}, {"practice", nil, false}, {"log", nil, true},
		{"papers", nil, true}, {"papers", []string{"/trailers/t/plate", `{"kind":"built"}`}, false},
		{"workshop", nil, true}, {"workshop", []string{"/trailers/t/workshop", `{"begins":"kit"}`}, false},
		{"money", nil, true}, {"money", []string{"/trailers/t/money", `{"target":600}`}, false},
	} {
		if got := least(c.stage, c.sets...); got != c.want {
			t.Errorf("%s with %v: %v", c.stage, c.sets, got)
		}
	}
}
