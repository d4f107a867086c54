package study_test

import (
	"math"
	"testing"

	"zygonos/core/ask/balance"
	"zygonos/core/internal/sample"
	"zygonos/core/plan"
	"zygonos/core/review"
)

// Ways to even wheels that move more than one load, or turn one, each worked by hand: the track
// is 1.6 m, so the right wheels bear 2·Σmy/1.6 more than the left; the deck is 1.4 m wide.
func TestEvener(t *testing.T) {
	right := func(id, v string) []string { return []string{"/outings/o/layouts/t/placements/" + id + "/at/right", v} }
	sets := func(m float64, w float64, more ...[]string) []string {
		out := append(
			crates(1, 0.6, w, m),
			box0+"/at/back",
			"1.8",
			"/loads/crate/mass/value",
			"200",
			crateBack,
			"0.5",
		)
		for _, s := range more {
			out = append(out, s...)
		}
		return out
	}
	for name, c := range map[string]struct {
		sets []string
		says string
		more float64 // that the right wheels bear then, kg
	}{
		// 200·0.2 + 150·0.2 = 70, over 350 kg: 200 mm.
		"all": {sets(150, 0.6, right("crate", "0.2"), right("box-0", "0.2")), "slide all loads 200 mm to the left", 0},
		// Side by side at 0.3, the crate 200 kg and a box 60 kg, behind them a pinned one of 100 kg
		// at 0.3: 60 − 18 + 30 = 72; changed: −60 + 18 + 30 = −12.
		"sides": {append(crates(2, 0.6, 0.6, 60), "/loads/crate/mass/value", "200", crateBack, "0.5", "/loads/crate/size/width/value", "0.6",
			box0+"/at/back", "0.6", box0+"/at/right", "-0.3", sample.Crate+"/at/right", "0.3", "/loads/box-1/mass/value", "100",
			"/outings/o/layouts/t/placements/box-1", `{"on":"deck","at":{"back":1.8,"right":0.3},"pinned":true}`), "swap Box 0 and Crate across", -15},
		// The crate's weight 0.15 right of its middle: 30; a pinned box, 100·0.3: 60. Turned: 0.
		"turned": {sets(100, 0.6, right("box-0", "0.3"), []string{"/loads/crate/centre/right/value", "0.15", box0 + "/pinned", "true"}), "turn Crate round", 0},
	} {
		p, rep := settled(t, c.sets...)
		f := sample.Find(t, rep.Findings, balance.CodeSides)
		fix := fixNamed(t, p, f, c.says)
		next, err := plan.Apply(p, fix.Patch)
		if err != nil {
			t.Fatal(err)
		}
		after := review.Review(next, review.Request{}).Figures
		if got := after.Right.Value - after.Left.Value; math.Abs(got-c.more) > 1e-6 {
			t.Errorf("%s: the right wheels bear %v more, want %v", name, got, c.more)
		}
	}
}
