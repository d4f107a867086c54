package study_test

import (
	"context"
	"math"
	"slices"
	"strings"
	"testing"

	"zygonos/core/ask/balance"
	"zygonos/core/ask/clearance"
	"zygonos/core/internal/sample"
	"zygonos/core/lang/finding"
	"zygonos/core/plan"
	"zygonos/core/review"
	"zygonos/core/study"
)

const box0 = "/outings/o/layouts/t/placements/box-0"

// Ways out that move more than one load, or turn one, each worked by hand; the deck begins 1 m
// behind the ball, the axle stands at 2.5, the empty trailer puts 20 kg on the ball.
func TestMoves(t *testing.T) {
	one := func(l, m float64, back string, crate ...string) []string {
		return append(append(crates(1, l, 0.8, m), box0+"/at/back", back), crate...)
	}
	for name, c := range map[string]struct {
		sets []string
		says string
		ball float64
	}{
		// Crate 200 kg over the axle, box 200 kg with its middle at 3.25: 20 − 200·0.75/2.5 = −40.
		// To 53.75: (−40 − 53.75)·2.5/400 = −0.586, 590 mm: −40 + 400·0.59/2.5 = 54.4.
		"all together": {one(0.5, 200, "2.0", "/loads/crate/mass/value", "200", crateBack, "1.0"), "slide all loads 590 mm forward", 54.4},
		// Crate 60 kg at 1.5, box 100 kg at 3.25: 20 + 24 − 30 = 14, under 5 % of 410. Changed, the
		// box's middle is at 1.25, the crate's at 3.0: 20 + 50 − 12 = 58.
		"changed": {one(0.5, 100, "2.0", "/loads/crate/mass/value", "60", crateBack, "0"), "swap Crate and Box 0", 58},
		// 400 kg 0.6 m behind the front at 1.85: 20 + 400·0.05/2.5 = 28, under 32.5. Turned it lies
		// 0.4 behind: 20 + 400·0.25/2.5 = 60.
		"turned": {[]string{crateBack, "0.85", "/loads/crate/centre/back/value", "0.6"}, "turn Crate round", 60},
	} {
		p, rep := settled(t, c.sets...)
		f := sample.Find(t, rep.Findings, balance.CodeWindow)
		fix := fixNamed(t, p, f, c.says)
		if fix.Outcome == finding.Fails || math.Abs(fix.Figure.Value-c.ball) > 1e-6 {
			t.Errorf("%s: %s at %v", name, fix.Outcome, fix.Figure.Value)
		}
		next, err := plan.Apply(p, fix.Patch)
		if err != nil {
			t.Fatal(err)
		}
		if got := review.Review(next, review.Request{}).Figures.Ball.Value; math.Abs(got-c.ball) > 1e-6 {
			t.Errorf("%s: applied it bears %v", name, got)
		}
	}
}

// Nothing changes places into another thing: a pinned box between them, or a deck too short.
func TestMovesThatCollide(t *testing.T) {
	sets := append(crates(2, 0.5, 0.8, 100), "/loads/crate/mass/value", "60", crateBack, "0", box0+"/at/back", "2.0",
		"/outings/o/layouts/t/placements/box-1/at/back", "1.2", "/outings/o/layouts/t/placements/box-1/pinned", "true", "/loads/box-1/mass/value", "5")
	p, rep := settled(t, sets...)
	for _, x := range sample.Find(t, rep.Findings, balance.CodeWindow).Fixes {
		if says := x.Name.Text(p.Locale()); strings.Contains(says, "Crate and Box 0 change") || strings.Contains(says, "Box 1") {
			t.Errorf("%q, through the pinned box", says)
		}
	}
}

// The crate has 100 mm before it and the axle 150 mm to go: neither does it alone.
func TestMoveAndAxle(t *testing.T) {
	sets := append(crates(1, 1.4, 0.8, 10), box0+"/at/back", "0", box0+"/pinned", "true", crateBack, "1.5",
		"/trailers/t/axleMoves", `{"min":2.4,"max":2.9,"pitch":0.05}`, "/trailers/t/runningGear", `{"value":60,"plusMinus":0,"how":"weighed"}`)
	p, rep := settled(t, sets...)
	f := sample.Find(t, rep.Findings, balance.CodeWindow)
	if f.Outcome != finding.Fails {
		t.Fatal(f.Outcome)
	}
	var both *finding.Fix
	for i := range f.Fixes {
		if says := f.Fixes[i].Name.Text(p.Locale()); strings.Contains(says, "slide Crate 100 mm forward, and move the axle") {
			both = &f.Fixes[i]
		}
	}
	if both == nil {
		t.Fatalf("%+v", f.Fixes)
	}
	next, err := plan.Apply(p, both.Patch)
	if err != nil {
		t.Fatal(err)
	}
	after := sample.Find(t, study.Settled(context.Background(), next, review.Request{}).Findings, balance.CodeWindow)
	if after.Outcome != both.Outcome || after.Figure.Value != both.Figure.Value || after.Outcome == finding.Fails {
		t.Errorf("%s at %v, offered %s at %v", after.Outcome, after.Figure.Value, both.Outcome, both.Figure.Value)
	}
}

// The tailgate reaches 1.2 m beyond a bumper 0.2 m before the ball, to 1.0 m behind it, over 0.5 m: the crate at the front
// board, whose front is there, is 100 mm too near when it stands 100 mm before the board. 400 mm back leaves 300 mm.
func TestAwayFromTheCar(t *testing.T) {
	p := sample.Plan(t, "/loads/crate/mass/value", `100`, sample.Crate+"/at/back", `0`, "/trailers/t/couplingToDeck/value", `0.9`,
		"/trailers/t/deckHeight", `{"value":0.5,"how":"weighed"}`, "/towVehicles/car/ballBehind", `0.2`,
		"/towVehicles/car/gateReach", `1.2`, "/towVehicles/car/gateHeight", `0.9`, "/trailers/t/drawbar", `{"beams":1}`)
	f := sample.Find(t, study.Settled(context.Background(), p, review.Request{}).Findings, clearance.CodeCar)
	if f.Outcome != finding.Fails || math.Abs(f.Figure.Value+0.1) > 1e-9 {
		t.Fatalf("%s %v", f.Outcome, f.Figure)
	}
	var got []string
	for _, fix := range f.Fixes {
		got = append(got, fix.Name.Text(p.Locale())+" "+string(fix.Outcome))
	}
	if want := []string{"slide Crate 110 mm back tight", "slide Crate 400 mm back holds"}; !slices.Equal(got, want) {
		t.Errorf("got %q, want %q", got, want)
	}
	p = sample.Plan(t, "/loads/crate/mass/value", `100`, sample.Crate+"/at/back", `0`, sample.Crate+"/pinned", `true`, "/trailers/t/couplingToDeck/value", `0.9`,
		"/towVehicles/car/ballBehind", `0.2`, "/towVehicles/car/gateReach", `1.2`)
	if f := sample.Find(t, study.Settled(context.Background(), p, review.Request{}).Findings, clearance.CodeCar); f.Outcome != finding.Fails || len(f.Fixes) > 0 {
		t.Errorf("pinned: %s %+v", f.Outcome, f.Fixes)
	}
}
