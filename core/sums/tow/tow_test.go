package tow_test

import (
	"math"
	"testing"

	"zygonos/core/sums/tow"
)

var rig = tow.Rig{
	Wheelbase: 2.7, Overhang: 1.1, Length: 2.6, SteerMost: 0.6, SteerRate: 0.6, FoldMost: 1.4, Accel: 1, Ahead: 2, Back: 1.4,
}

func near(t *testing.T, what string, got, want, within float64) {
	t.Helper()
	if !(math.Abs(got-want) <= within) {
		t.Errorf("%s: %v, want %v", what, got, want)
	}
}

// At speed from the first tick: what is integrated is then a closed form.
func rolling(v float64) tow.State { return tow.State{Speed: v} }

// Forward with the wheels held, it comes to the steady circle: the trailer's hitch angle by the closed form, the car's radius
// w/tan δ, and all of it about one middle.
func TestSteadyCircle(t *testing.T) {
	const steer = 0.3
	s := rolling(2)
	s.Steer = steer
	for range 60 * 60 {
		s, _ = rig.Step(s, tow.Input{Steer: steer / rig.SteerMost, Pedal: 1})
	}
	want, ok := rig.Circle(steer)
	if !ok {
		t.Fatal("there is a circle")
	}
	near(t, "hitch angle", s.Hitch, want, 1e-9)
	near(t, "its equation", math.Tan(steer)*(rig.Length+rig.Overhang*math.Cos(want)), rig.Wheelbase*math.Sin(want), 1e-12)
	radius := rig.Wheelbase / math.Tan(steer)
	cx, cy := s.X-radius*math.Sin(s.Heading), s.Y+radius*math.Cos(s.Heading)
	x, y, _ := rig.Trailer(s)
	// the trailer's axle points at the middle: its radius is √(R² + o² − L²)
	near(t, "trailer's radius", math.Hypot(x-cx, y-cy), math.Sqrt(radius*radius+rig.Overhang*rig.Overhang-rig.Length*rig.Length), 1e-6)
	for range 600 {
		s, _ = rig.Step(s, tow.Input{Steer: steer / rig.SteerMost, Pedal: 1})
		near(t, "radius", math.Hypot(s.X-cx, s.Y-cy), radius, 1e-6)
	}
}

// In reverse, wheels straight, a small hitch angle grows as e^(V/L·t); forward it dies as fast. A straight line is unstable one
// way, stable the other.
func TestGrowth(t *testing.T) {
	for _, v := range []float64{-1.4, 2} {
		s := rolling(v)
		s.Hitch = 1e-4
		const seconds = 3
		pedal := 1.0
		if v < 0 {
			pedal = -1
		}
		for range 60 * seconds {
			s, _ = rig.Step(s, tow.Input{Pedal: pedal})
		}
		near(t, "growth", math.Log(s.Hitch/1e-4), -v/rig.Length*seconds, 1e-5)
	}
	s := rolling(-1.4)
	for range 600 {
		s, _ = rig.Step(s, tow.Input{Pedal: -1})
	}
	near(t, "dead straight", s.Hitch, 0, 0)
}

// A longer drawbar turns slower, in proportion.
func TestLonger(t *testing.T) {
	long := rig
	long.Length += 0.6
	_, a := rig.Rates(-1, 0, 0.1)
	_, b := long.Rates(-1, 0, 0.1)
	near(t, "answer", b/a, rig.Length/long.Length, 1e-12)
}

// Under the critical angle full lock straightens it in reverse, over it nothing does; forward it always does.
func TestCritical(t *testing.T) {
	c := rig.Critical()
	_, under := rig.Rates(-1, rig.SteerMost, c-0.01)
	_, over := rig.Rates(-1, rig.SteerMost, c+0.01)
	if !(under < 0 && over > 0) {
		t.Errorf("at %v: %v under, %v over", c, under, over)
	}
	for _, steer := range []float64{-0.6, -0.3, 0, 0.3, 0.6} {
		if _, g := rig.Rates(-1, steer, c+0.05); g < 0 {
			t.Errorf("wheels at %v straighten it beyond the critical angle", steer)
		}
	}
	if _, g := rig.Rates(1, 0, c+0.05); g > 0 {
		t.Error("driving forward folds it")
	}
	tight := rig
	tight.FoldMost = 0.4
	near(t, "it folds before", tight.Critical(), 0.4, 0)
}

// Mirrored inputs drive the mirrored way; the same inputs the same way, to the last bit.
func TestMirrored(t *testing.T) {
	a, b, again := tow.State{}, tow.State{}, tow.State{}
	for i := range 2000 {
		in := tow.Input{Steer: math.Sin(float64(i) / 70), Pedal: math.Cos(float64(i) / 200)}
		a, _ = rig.Step(a, in)
		again, _ = rig.Step(again, in)
		b, _ = rig.Step(b, tow.Input{Steer: -in.Steer, Pedal: in.Pedal})
	}
	if a != again {
		t.Errorf("%+v, again %+v", a, again)
	}
	if a.X != b.X || a.Y != -b.Y || a.Heading != -b.Heading || a.Hitch != -b.Hitch {
		t.Errorf("%+v, mirrored %+v", a, b)
	}
}

// It never folds beyond where it touches, whatever is asked; nonsense is no input.
func TestFolds(t *testing.T) {
	s := tow.State{}
	folded := false
	for range 60 * 20 {
		var f bool
		s, f = rig.Step(s, tow.Input{Steer: 1, Pedal: -1})
		folded = folded || f
		if math.Abs(s.Hitch) > rig.FoldMost {
			t.Fatalf("%+v", s)
		}
	}
	if !folded {
		t.Error("full lock in reverse does not fold it")
	}
	for range 300 { // forward it comes out
		s, _ = rig.Step(s, tow.Input{Pedal: 1})
	}
	if math.Abs(s.Hitch) > 0.5 {
		t.Errorf("forward it stays at %v", s.Hitch)
	}
	if n, _ := rig.Step(tow.State{}, tow.Input{Steer: math.NaN(), Pedal: math.Inf(1)}); math.IsNaN(n.X) || n.Steer != 0 {
		t.Errorf("%+v", n)
	}
}

// Half the step gives the same way to within the fourth order: against a fine integration of the same equations.
func TestOrder(t *testing.T) {
	s := rolling(-1.4)
	s.Hitch, s.Steer = 0.2, 0.4
	coarse := s
	for range 60 {
		coarse, _ = rig.Step(coarse, tow.Input{Steer: 0.4 / rig.SteerMost, Pedal: -1})
	}
	const n = 200000
	h, g, x := 0.0, 0.2, 0.0
	for range n {
		dh, dg := rig.Rates(-1.4, 0.4, g)
		x += -1.4 * math.Cos(h) / n
		h, g = h+dh/n, g+dg/n
	}
	near(t, "hitch", coarse.Hitch, g, 2e-5)
	near(t, "heading", coarse.Heading, h, 2e-5)
	near(t, "x", coarse.X, x, 2e-5)
}
