package balance_test

import (
	"fmt"
	"math"
	"testing"

	"zygonos/core/ask/balance"
	"zygonos/core/internal/sample"
	"zygonos/core/lang/finding"
	"zygonos/core/rig"
)

// tanked puts a tank of 1.2 × 0.9 × 1.0 m, of a shape, so far behind the front.
func tanked(t *testing.T, shape string, fill, back float64, more ...string) *rig.Rig {
	t.Helper()
	return rig.Resolve(sample.Plan(t, append([]string{
		"/loads/crate/tank", fmt.Sprintf(`{"fluid":"water","shape":"%s","fill":%v}`, shape, fill), "/loads/crate/mass/value", `30`,
		"/loads/crate/size", `{"length":{"value":1.2,"how":"weighed"},"width":{"value":0.9,"how":"weighed"},"height":{"value":1,"how":"weighed"}}`,
		sample.Crate + "/at/back", fmt.Sprint(back),
	}, more...)...), "t", "o")
}

// Every step is what the balance says of a tank that is entered as full as that; the same tank stated at another fill has the
// same steps.
func TestFillsAreTheBalance(t *testing.T) {
	for _, shape := range []string{"box", "upright", "along", "across"} {
		all := balance.Fills(tanked(t, shape, 0.3, 0.4))
		if len(all) != 1 || len(all[0].Steps) != 21 || all[0].Now != 6 {
			t.Fatalf("%s: %+v", shape, all)
		}
		for _, k := range []int{0, 5, 10, 20} {
			s := all[0].Steps[k]
			r := tanked(t, shape, s.Fill, 0.4)
			if b := r.Bears.Ball; math.Abs(s.Ball.Value-b.Nominal) > 1e-9 || math.Abs(*s.Ball.Low-b.Low) > 1e-9 || math.Abs(*s.Ball.High-b.High) > 1e-9 {
				t.Errorf("%s at %v: %+v, balance %+v", shape, s.Fill, s.Ball, b)
			}
			if again := balance.Fills(r); math.Abs(again[0].Steps[10].Ball.Value-all[0].Steps[10].Ball.Value) > 1e-9 {
				t.Errorf("%s told at %v has other steps", shape, s.Fill)
			}
		}
	}
}

// Half full of water in a box: 540 l hold 0.92·538.2 kg; braking throws it 0.3·1.2²/(12·0.5) = 72 mm forward, pulling away with
// 0.2 g 48 mm back; with two baffles a ninth of that. Over L = 2.5 m.
func TestFillsRun(t *testing.T) {
	for _, c := range []struct {
		baffles string
		share   float64
	}{{"0", 1}, {"2", 1.0 / 9}} {
		s := balance.Fills(tanked(t, "box", 0.5, 0.4, "/loads/crate/tank/baffles", c.baffles))[0].Steps[10]
		m := s.Mass.Value
		if math.Abs(s.Brakes-s.Ball.Value-m*0.072*c.share/2.5) > 1e-6 || math.Abs(s.Ball.Value-s.Pulls-m*0.048*c.share/2.5) > 1e-6 {
			t.Errorf("baffles %s: ball %v, braking %v, pulling %v, water %v", c.baffles, s.Ball.Value, s.Brakes, s.Pulls, m)
		}
	}
}

// A tank behind the axle takes the ball down as it fills: outside somewhere, and said where; before it it stays inside for
// fewer. No fill that is outside is passed over.
func TestCheckFills(t *testing.T) {
	for back := 0.0; back < 1.3; back += 0.1 {
		r := tanked(t, "along", 0.5, back)
		fs := balance.CheckFills(r)
		if len(fs) != 1 {
			t.Fatalf("%d findings", len(fs))
		}
		out := false
		for k := range 21 {
			n := tanked(t, "along", float64(k)/20, back)
			w := balance.Check(n).Window
			out = out || n.Bears.Ball.Nominal < w.Low || n.Bears.Ball.Nominal > w.High
		}
		if holds := fs[0].Outcome == finding.Holds; holds && out || !fs[0].Compares {
			t.Errorf("at %v: %s, outside %v", back, fs[0].Outcome, out)
		}
	}
	big := balance.CheckFills(tanked(t, "along", 0.5, 0.4, "/loads/crate/tank/capacity", `{"value":1,"plusMinus":0,"how":"plate"}`))
	if len(big) != 1 || big[0].Outcome != finding.Unknown || len(big[0].Needs) != 1 { // 0.763 m³ at most
		t.Errorf("1 m³ in 1.2 m of a circle of 0.9 m: %+v", big)
	}
	if got := balance.CheckFills(tanked(t, "along", 0.5, 0.4, sample.Crate+"/turn", "90")); len(got) != 0 {
		t.Errorf("turned: %+v", got)
	}
}

// Where only the guesses take the ball out of its window it never plainly holds.
func TestFillsByGuesses(t *testing.T) {
	for back := 0.0; back < 1.3; back += 0.05 {
		r := tanked(t, "box", 0.5, back, "/loads/crate/mass", `{"value":30,"plusMinus":25,"how":"guessed"}`)
		f := balance.CheckFills(r)[0]
		for _, s := range balance.Fills(r)[0].Steps {
			if f.Outcome == finding.Holds && (*s.Ball.Low < s.Window[0] || *s.Ball.High > s.Window[1]) {
				t.Errorf("at %.2f, %v full: holds with %v to %v in %v", back, s.Fill, *s.Ball.Low, *s.Ball.High, s.Window)
			}
		}
	}
}

// As a tank fills its water's centre rises; half full it lies lower than full, and with what a bend throws up never over the
// full tank's middle.
func TestFluidHeight(t *testing.T) {
	last := 0.0
	for _, fill := range []float64{0.1, 0.3, 0.5, 0.7, 0.9, 1} {
		r := tanked(t, "along", fill, 0.4)
		z := r.Items[0].Lumps[1].Z - r.Items[0].Bottom
		if z < last-1e-9 || z > 0.45+1e-9 { // a circle of 0.9 m
			t.Errorf("fill %v: %v m over the floor, before %v", fill, z, last)
		}
		last = z
	}
	if math.Abs(last-0.45) > 1e-9 {
		t.Errorf("full at %v", last)
	}
}
