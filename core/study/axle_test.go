package study_test

import (
	"context"
	"math"
	"strconv"
	"strings"
	"testing"

	"zygonos/core/ask/balance"
	"zygonos/core/internal/sample"
	"zygonos/core/lang/finding"
	"zygonos/core/plan"
	"zygonos/core/rig"
	"zygonos/core/study"
)

// The sample with its running gear of 80 kg kept apart: body 170 kg with its
// moment 230·2.5 − 80·2.5 = 375, crate 400·2.25 = 900. The ball bears
// R = (170 + 400) + 80·0 − 1275/L = 570 − 1275/L of 650 kg (20 + 230 of the body,
// its ball reading weighs 20 at x = 0, so 570 stands clear of the axle).
// 5 %: 32.5 = 570 − 1275/L → L = 1275/537.5 = 2.37209; cap 75: L = 1275/495 = 2.57576.
func TestPlaceAxle(t *testing.T) {
	gear := []string{"/trailers/t/runningGear", `{"value":80,"plusMinus":0,"how":"weighed"}`}
	p := sample.Plan(t, gear...)
	a := study.PlaceAxle(context.Background(), p, "t")
	near := func(what string, got, want float64) {
		t.Helper()
		if math.Abs(got-want) > 1e-6 {
			t.Errorf("%s: got %v, want %v", what, got, want)
		}
	}
	if len(a.Rows) != 2 || a.Rows[0].Nominal == nil || a.Nominal == nil {
		t.Fatalf("%+v", a)
	}
	near("from", a.Rows[0].Nominal.From, 1275/537.5)
	near("to", a.Rows[0].Nominal.To, 1275.0/495)
	near("common from", a.Nominal.From, 1275/537.5)
	// Empty: R = 170 − 375/L of 250; 5 %: 12.5 → L = 375/157.5; 15 %: 37.5 → 375/132.5.
	near("empty from", a.Rows[1].Nominal.From, 375/157.5)
	near("empty to", a.Rows[1].Nominal.To, 375/132.5)
	// The margins R − 32.5 and 75 − R are alike at R = 53.75: L = 1275/516.25 = 2.46973.
	near("best", *a.Best, 2.47)
	if a.Fix != nil || !strings.Contains(a.Says.Text(p.Locale()), "2470 mm") || a.View == nil {
		t.Errorf("%q", a.Says.Text(p.Locale()))
	}
	// At the ends the plan's own ball load lies on the window's limits.
	for _, c := range []struct{ l, ball float64 }{{a.Nominal.From, 32.5}, {a.Nominal.To, 75}} {
		q := sample.Plan(t, append(gear, "/trailers/t/empty/axleAt", `2.5`, "/trailers/t/couplingToAxle/value", jsonOf(c.l))...)
		near("ball at the end", rig.Resolve(q, "t", "o").Bears.Ball.Nominal, c.ball)
	}
	// Holes of 100 mm from 2.05: 2.45 is nearest to 2.4697 and in the window.
	h := study.PlaceAxle(context.Background(), sample.Plan(t, append(gear, "/trailers/t/axleMoves", `{"min":2.05,"max":2.95,"pitch":0.1}`)...), "t")
	near("hole", *h.Best, 2.45)
	if h.Fix == nil || h.Fix.Patch[0].Path != "/outings/o/layouts/t/axleAt" {
		t.Errorf("%+v", h.Fix)
	}
}

// An outing of which a weight is missing binds nothing, and nothing is said of it.
func TestAxleSaysWhatItDoesNotKnow(t *testing.T) {
	p := sample.Plan(t, "/loads/dark", `{"order":2,"name":"Dark","kind":"other","size":{},"centre":{}}`,
		"/outings/b", `{"order":2,"name":"Second day","vehicle":"car","layouts":{"t":{"placements":{"dark":{"on":"deck","at":{"back":0.3}}}}}}`)
	a := study.PlaceAxle(context.Background(), p, "t")
	says := a.Says.Text(p.Locale())
	if a.Outcome != finding.Unknown || strings.Contains(says, "every outing lies") ||
		!strings.Contains(says, "every outing that can be judged") || !strings.Contains(says, "something is still missing: Second day.") {
		t.Errorf("%s: %s", a.Outcome, says)
	}
}

func jsonOf(v float64) string { return strconv.FormatFloat(v, 'f', -1, 64) }

// Two outings that pull apart: a crate at the front and one at the tail. No one
// place suits both; with holes, one for each closes it.
func TestAxleCompromise(t *testing.T) {
	second := `{"order":2,"name":"Tail","vehicle":"car","layouts":{"t":{"placements":{"crate":{"on":"deck","at":{"back":1.4}}}}}}`
	gear := []string{"/trailers/t/runningGear", `{"value":80,"plusMinus":0,"how":"weighed"}`, "/outings/p", second}
	p := sample.Plan(t, append(gear, "/trailers/t/axleMoves", `{"min":2.0,"max":3.2,"pitch":0.05}`)...)
	a := study.PlaceAxle(context.Background(), p, "t")
	if a.Nominal != nil || a.Best == nil || len(a.Closes) == 0 {
		t.Fatalf("%+v", a)
	}
	if !strings.HasPrefix(a.Closes[0].Name.Text(p.Locale()), "a hole for each outing") {
		t.Errorf("%q", a.Closes[0].Name.Text(p.Locale()))
	}
	for _, c := range a.Closes[:1] {
		q, err := plan.Apply(p, c.Patch)
		if err != nil {
			t.Fatal(err)
		}
		for _, o := range []string{"o", "p"} {
			if balance.Misses(rig.Resolve(q, "t", o)) {
				t.Errorf("%s still misses", o)
			}
		}
	}
	// A window that is empty because the cap lies under the percentage is explained.
	e := study.PlaceAxle(context.Background(), sample.Plan(t, append(gear, "/towVehicles/car/ballLimit", `10`)...), "t")
	if e.Rows[0].Nominal != nil || !strings.Contains(e.Rows[0].Says.Text(p.Locale()), "lowest limit") {
		t.Errorf("%+v", e.Rows[0])
	}
	if n := study.PlaceAxle(context.Background(), sample.Plan(t, "/trailers/t/couplingToAxle", "-"), "t"); n.Best != nil {
		t.Error("no axle, and a place for it")
	}
}

// 44 kg too little: crate at 1.5 m behind the board, R = 20 − 400·0.5/2.5 < 0 tells nothing
// of a drawbar; at 1.0 m R = 20 kg of 650 (3.1 %): with d more R·L/(L + d) = 50/(2.5 + d) only
// falls, so the drawbar must be shorter: 50/32.5 − 2.5 = −0.962 m to 50/75 − 2.5.
func TestDrawbar(t *testing.T) {
	p := sample.Plan(t, sample.Crate+"/at/back", "1.0")
	if s := study.PlaceAxle(context.Background(), p, "t").Drawbar.Text(p.Locale()); !strings.Contains(s, "962 mm to 1833 mm shorter") {
		t.Errorf("%q", s)
	}
	// 100 kg: 250/75 − 2.5 = 0.833 m longer to 250/32.5 − 2.5 = 5.192.
	p = sample.Plan(t, sample.Crate+"/at/back", "0.5")
	if s := study.PlaceAxle(context.Background(), p, "t").Drawbar.Text(p.Locale()); !strings.Contains(s, "833 mm to 5192 mm longer") {
		t.Errorf("%q", s)
	}
	p = sample.Plan(t)
	if s := study.PlaceAxle(context.Background(), p, "t").Drawbar; s != nil {
		t.Errorf("in its window, and %q", s.Text(p.Locale()))
	}
}
