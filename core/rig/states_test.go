package rig_test

import (
	"math"
	"testing"

	"zygonos/core/internal/sample"
	"zygonos/core/lang/quantity"
	"zygonos/core/plan"
	"zygonos/core/rig"
)

func ballOf(t *testing.T, sets ...string) (nominal, low, high float64) {
	t.Helper()
	r := rig.Resolve(sample.Plan(t, sets...), "t", "o")
	if r.Bears == nil {
		t.Fatal(r.Needs)
	}
	b := r.Bears.Ball
	return b.Nominal, b.Low, b.High
}

// 400 kg, 180 of them at the front support: the centre lies 220/400 = 0.55 m behind
// it, at 1.0 + 0.75 + 0.55 = 2.3 m: 20 + 400·0.2/2.5 = 52 kg. A reading of ±4 kg moves
// the ball by ±4·1.0/2.5 = 1.6 kg, the place by ±0.01·400/2.5 = 1.6.
func TestWeighedAtOneEnd(t *testing.T) {
	n, low, high := ballOf(t, "/loads/crate/ends", `{"front":{"value":180,"plusMinus":4,"how":"weighed"},"rear":{"value":0,"how":"weighed"},"frontAt":0,"rearAt":1,"one":true}`)
	if math.Abs(n-52) > 1e-9 || math.Abs(low-48.8) > 1e-9 || math.Abs(high-55.2) > 1e-9 {
		t.Errorf("ball %v (%v to %v)", n, low, high)
	}
	// Without a weight for the whole, one end tells nothing.
	r := rig.Resolve(sample.Plan(t, "/loads/crate/mass", "-", "/loads/crate/kind", "-", "/loads/crate/ends", `{"front":{"value":180,"how":"weighed"},"rear":{"value":0,"how":"weighed"},"frontAt":0,"rearAt":1,"one":true}`), "t", "o")
	if r.Bears != nil {
		t.Error("one end alone gave an answer")
	}
}

// Ramps of 50 kg at the front board, centre at 1.1 m: 50·1.4/2.5 = 28 kg on the ball,
// or none where they stay at home, whether they were on at the weighing or not.
func TestPartsMayStayHome(t *testing.T) {
	ramps := []string{"/parts/ramps", `{"order":1,"name":"Ramps","mass":{"value":50,"plusMinus":0,"how":"weighed"},"size":{"length":{"value":0.2,"plusMinus":0,"how":"weighed"}},"centre":{"back":{"value":0.1,"plusMinus":0,"how":"weighed"}}}`,
		"/outings/o/layouts/t/parts", `{"ramps":{"at":{"back":0},"optional":true}}`}
	n, low, high := ballOf(t, ramps...)
	if math.Abs(n-88) > 1e-9 || math.Abs(low-58.4) > 1e-6 || math.Abs(high-89.8) > 1e-6 {
		t.Errorf("ball %v (%v to %v)", n, low, high) // place ±10 mm: crate ±1.6, ramps ±0.2
	}
	// Weighed with them at the tail, centre at 3.3 m: 50·0.8/2.5 = 16 kg were off the ball then.
	n, low, _ = ballOf(t, append(ramps, "/trailers/t/empty/parts", `{"ramps":{"at":{"back":2.2}}}`)...)
	if math.Abs(n-(60+16+28)) > 1e-9 || low > 60+16 {
		t.Errorf("weighed with them on: %v, least %v", n, low)
	}
}

// A tank that may be drained: its fluid is there in full, in part or not at all.
func TestDrains(t *testing.T) {
	tank := []string{"/loads/crate/tank", `{"fluid":"water","fill":0.5,"capacity":{"value":1,"plusMinus":0,"how":"plate"}}`, "/loads/crate/mass/value", `30`}
	_, full, _ := ballOf(t, tank...)
	n, low, _ := ballOf(t, append(tank, "/loads/crate/tank/drains", "true")...)
	// Empty, 30 kg at 2.25 m: 20 + 3 = 23 kg; in doubt by place 0.12 kg.
	if !(low < 23.01) || !(full > 60) || !(n > full-5) {
		t.Errorf("ball %v, least %v; full never under %v", n, low, full)
	}
}

func TestPlank(t *testing.T) {
	p := sample.Plan(t)
	r := plan.Reading{Mass: 18, PlusMinus: new(quantity.Mass(1)), Plank: &plan.Plank{Span: 1.5, To: 0.5}}
	if s := r.Range(p); s.Nominal != 54 || s.Low != 51 || s.High != 57 {
		t.Errorf("%+v", s)
	}
}
