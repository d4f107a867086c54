package stance_test

import (
	"math"
	"strings"
	"testing"

	"zygonos/core/ask/stance"
	"zygonos/core/internal/sample"
	"zygonos/core/rig"
)

func near(t *testing.T, what string, got, want float64) {
	t.Helper()
	if math.Abs(got-want) > 1e-6*math.Max(1, math.Abs(want)) {
		t.Errorf("%s: got %.9g, want %.9g", what, got, want)
	}
}

// Track 1.6, share 0.1, centre at 0.9, coupling at 0.45: 0.8·0.9/(0.9 − 0.045) =
// 0.84211. Without a coupling's share it is t/2h = 0.88889.
func TestWheelLift(t *testing.T) {
	near(t, "coupled", stance.WheelLift(1.6, 0.45, 0.1, 0.9, 0.45), 0.842105263)
	near(t, "nothing on the ball", stance.WheelLift(1.6, 0.5, 0, 0.9, 0.45), 0.8888888889)
	near(t, "a centre under the line from coupling to wheels", stance.WheelLift(1.6, 0.25, 0.5, 0.1, 0.45), 5)
	// 700 kg, track 1.7, wheels 392.5 and 251.5 kg, the ball the rest; 0.3 g moves 114.5 kg:
	// at 251.5/114.5·0.3 = 0.65895 g, 33.4°, the lighter wheel lifts.
	share := 56.0 / 700
	height := 114.5*1.7/0.3/700 + share*0.45
	near(t, "aside", math.Atan(stance.WheelLift(1.7, 251.5/700, share, height, 0.45))*180/math.Pi, 33.3829632)
	// 650 kg at 0.3 g: 650·0.3·0.855/1.6 = 104.203 kg; at the lift it is the wheel's whole load, half of 585.
	near(t, "shift", stance.WheelShift(650, 0.3, 0.9, 0.1, 0.45, 1.6), 104.203125)
	near(t, "shift at the lift", stance.WheelShift(650, stance.WheelLift(1.6, 0.45, 0.1, 0.9, 0.45), 0.9, 0.1, 0.45, 1.6), 292.5)
	// By moments about the line from the ball (0, 0, h_c) to the outer wheel
	// (L, t/2, 0): at the lift the inner wheel bears nothing, and weight and
	// sideways force of a mass at (x, 0, h) balance about that line.
	l, track, hc, h := 2.5, 1.6, 0.45, 0.9
	share = 0.1
	x := l * (1 - share)
	ay := stance.WheelLift(track, (1-share)/2, share, h, hc)
	// Line direction d = (L, t/2, −h_c); arm of the centre from the ball r = (x, 0, h − h_c);
	// force F = (0, a_y, −1): d·(r × F) = 0.
	r := [3]float64{x, 0, h - hc}
	f := [3]float64{0, ay, -1}
	cross := [3]float64{r[1]*f[2] - r[2]*f[1], r[2]*f[0] - r[0]*f[2], r[0]*f[1] - r[1]*f[0]}
	near(t, "balance about the line", l*cross[0]+track/2*cross[1]-hc*cross[2], 0)
}

// 60 kg at rest, 650 kg, centre 0.9 m up, coupling 0.45, L 2.5, half of g:
// by its own brakes 60 + 650·0.5·0.9/2.5 = 177 kg, by the car 118.5.
func TestBraking(t *testing.T) {
	near(t, "own", stance.BrakingLoad(60, 650, 0.9, 0.45, 2.5, 0.5, true), 177)
	near(t, "car", stance.BrakingLoad(60, 650, 0.9, 0.45, 2.5, 0.5, false), 118.5)
}

// Deck at 0.6 m: the empty 250 kg at 0.48, the crate of 400 kg at 0.6 + 0.45·0.7 =
// 0.915: (120 + 366)/650 = 0.747692 m.
func TestCheck(t *testing.T) {
	deck := []string{"/trailers/t/deckHeight", `{"value":0.6,"how":"weighed"}`, "/trailers/t/couplingHeight", `0.45`}
	p := sample.Plan(t, deck...)
	r := rig.Resolve(p, "t", "o")
	h := r.CentreHeight()
	near(t, "height", h.Nominal, 486.0/650)
	near(t, "height low", h.Low, (250*0.36+400*(0.915-0.07))/650)
	fs := stance.Check(r)
	side := sample.Find(t, fs, stance.CodeSlope)
	near(t, "slope", side.Figure.Value, math.Atan(0.8*(1-60.0/650)/(486.0/650-60.0/650*0.45)))
	if side.Outcome != "holds" {
		t.Errorf("%s", side.Outcome)
	}
	brake := sample.Find(t, fs, stance.CodeBrake)
	near(t, "braking", brake.Figure.Value, 60+650*0.5*(486.0/650)/2.5)
	yard := sample.Find(t, fs, stance.CodeYard)
	// 60 kg at the coupling: 60·2.5/2.15 = 69.77 on the jockey wheel; 650·0.07 on grass.
	if s := yard.Says.Text(p.Locale()); !strings.Contains(s, "60 kg at the coupling head is too much") || !strings.Contains(s, "70 kg on it") || !strings.Contains(s, "46 kg on grass: two people") {
		t.Errorf("%q", s)
	}
	for _, c := range []struct {
		code, want, says string
		sets             []string
	}{
		{stance.CodeSlope, "tight", "Load it lower", []string{"/loads/crate/size/height/value", `3.5`}},
		{stance.CodeYard, "tight", "nobody at the drawbar. Chock it", []string{sample.Crate + "/at/back", `1.4`}},
		{stance.CodeYard, "holds", "24 kg to lift", []string{sample.Crate + "/at/back", `0.975`}},
	} {
		p := sample.Plan(t, append(append([]string{}, deck...), c.sets...)...)
		f := sample.Find(t, stance.Check(rig.Resolve(p, "t", "o")), c.code)
		if string(f.Outcome) != c.want || !strings.Contains(f.Says.Text(p.Locale()), c.says) {
			t.Errorf("%s: %s %q", c.code, f.Outcome, f.Says.Text(p.Locale()))
		}
		if len(f.Work()) == 0 {
			t.Errorf("%s has no working", c.code)
		}
	}
}

// Weight beside the middle: the crate of 400 kg 0.1 m to the left at the sample's track of
// 1.6 m: wheels of 295 ± 25 kg. The same mirrored says the same.
func TestAside(t *testing.T) {
	deck := []string{"/trailers/t/deckHeight", `{"value":0.6,"how":"weighed"}`, "/trailers/t/couplingHeight", `0.45`}
	var says []string
	for _, right := range []string{"-0.1", "0.1"} {
		p := sample.Plan(t, append(deck, sample.Crate+"/at/right", right)...)
		f := sample.Find(t, stance.Check(rig.Resolve(p, "t", "o")), stance.CodeSlope)
		near(t, "slope", f.Figure.Value, math.Atan(270.0/650*1.6/(486.0/650-60.0/650*0.45)))
		says = append(says, f.Says.Text(p.Locale()))
	}
	// 0.3·(486 − 60·0.45)/1.6 = 86.06 kg go over.
	for i, want := range []string{"234 kg left and 356 kg right, in a right one 406 kg and 184 kg", "184 kg left and 406 kg right, in a right one 356 kg and 234 kg"} {
		if !strings.Contains(says[i], want) {
			t.Errorf("%q", says[i])
		}
	}
}

// A higher load, a narrower track and a heavier ball share each lower the
// acceleration at which a wheel lifts or leave it; braking by the trailer's own
// wheels presses harder than by the car's.
func TestTrends(t *testing.T) {
	for h := 0.5; h < 1.5; h += 0.1 {
		for share := 0.0; share < 0.2; share += 0.04 {
			now := stance.WheelLift(1.6, (1-share)/2, share, h, 0.45)
			if higher := stance.WheelLift(1.6, (1-share)/2, share, h+0.05, 0.45); higher >= now {
				t.Errorf("h %v: %v, higher %v", h, now, higher)
			}
			if narrow := stance.WheelLift(1.5, (1-share)/2, share, h, 0.45); narrow >= now {
				t.Errorf("narrower: %v of %v", narrow, now)
			}
			if h > 0.45 {
				if more := stance.WheelLift(1.6, (1-share-0.02)/2, share+0.02, h, 0.45); more >= now {
					t.Errorf("more on the ball: %v of %v at %v", more, now, h)
				}
			}
			own, car := stance.BrakingLoad(60, 650, h, 0.45, 2.5, 0.5, true), stance.BrakingLoad(60, 650, h, 0.45, 2.5, 0.5, false)
			if math.Abs(own-car-650*0.5*0.45/2.5) > 1e-9 {
				t.Errorf("own %v, car %v", own, car)
			}
		}
	}
}

// Nothing is stated of heights that are not known.
func TestUnknown(t *testing.T) {
	r := rig.Resolve(sample.Plan(t), "t", "o")
	if h := r.CentreHeight(); h != nil {
		t.Errorf("no deck height, and the centre at %v", *h)
	}
	fs := stance.Check(r)
	if len(fs) != 1 || fs[0].Code != stance.CodeYard {
		t.Errorf("%d findings", len(fs))
	}
	if fs := stance.Check(rig.Resolve(sample.Plan(t, "/loads/crate/mass", "-", "/loads/crate/kind", "-"), "t", "o")); len(fs) != 0 {
		t.Errorf("no weight, and %d findings", len(fs))
	}
}
