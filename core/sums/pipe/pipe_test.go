package pipe_test

import (
	"errors"
	"math"
	"math/rand/v2"
	"testing"

	"zygonos/core/sums/pipe"
)

func near(t *testing.T, what string, got, want, by float64) {
	t.Helper()
	if !(math.Abs(got-want) <= by*(1+math.Abs(want))) {
		t.Errorf("%s: %v, want %v", what, got, want)
	}
}

// Friction factors of the printed chart: Re 10⁵ smooth 0.0180, Re 10⁶ with ε 0.001 0.0199; laminar 64/Re; each satisfies
// Colebrook's equation; evenly between 2300 and 4000.
func TestFriction(t *testing.T) {
	near(t, "smooth", pipe.Friction(1e5, 0), .0180, 5e-4)
	near(t, "rough", pipe.Friction(1e6, .001), .0199, 5e-4)
	near(t, "laminar", pipe.Friction(1000, .01), .064, 1e-12)
	for _, re := range []float64{5e3, 3e4, 2e6} {
		for _, e := range []float64{0, 1e-4, 1e-2} {
			f := pipe.Friction(re, e)
			near(t, "Colebrook", 1/math.Sqrt(f), -2*math.Log10(e/3.7+2.51/(re*math.Sqrt(f))), 1e-9)
		}
	}
	near(t, "between", pipe.Friction(3150, 0), (64.0/2300+pipe.Friction(4000, 0))/2, 1e-12)
}

// By hand: 10 l/min in 20 m of 12.5 mm: v = 1.358 m/s, Re 16,977, smooth f 0.02715: 0.02715·1600·998·1.358²/2 = 39.97 kPa.
func TestLossByHand(t *testing.T) {
	h := pipe.Hose{Long: 20, Bore: .0125, More: 1}
	q := 10.0 / 60000
	near(t, "speed", h.Speed(q), 1.3581, 1e-4)
	f := pipe.Friction(h.Speed(q)*.0125/1e-6, 0)
	near(t, "loss", h.Loss(q), f*1600*998*1.3581*1.3581/2, 1e-3)
	near(t, "about", h.Loss(q), 40e3, .02)
	h.More, h.K = 1.2, 2
	near(t, "on the reel", h.Loss(q), (f*1600*1.2+2)*998*1.3581*1.3581/2, 1e-3)
}

// A pump of 3 bar and 20 l/min through a nozzle of 4 mm alone, by hand: p = 3e5·(1 − Q/Q0) = 998/2·(Q/(0.95·A))²: a square
// in Q. Up 40 m it gives nothing.
func TestRunByHand(t *testing.T) {
	c, err := pipe.NewCurve(pipe.Point{Flow: 20.0 / 60000}, pipe.Point{Pressure: 3e5})
	if err != nil {
		t.Fatal(err)
	}
	l := pipe.Line{Curve: c, Nozzle: .004}
	r, err := l.Run()
	if err != nil {
		t.Fatal(err)
	}
	a := .95 * math.Pi / 4 * .004 * .004
	k, q0 := 998/(2*a*a), 20.0/60000
	want := (-3e5/q0 + math.Sqrt(9e10/q0/q0+4*k*3e5)) / (2 * k)
	near(t, "flow", r.Flow, want, 1e-9)
	near(t, "pressure", r.Pressure, 3e5*(1-want/q0), 1e-9)
	far, high := r.Reach()
	near(t, "reach", far, 2*high, 1e-12)
	l.Up = 40
	if r, err = l.Run(); err != nil || r.Flow != 0 {
		t.Errorf("%+v %v", r, err)
	}
}

// The point against a fine scan, for random pumps, hoses and nozzles; a wider or shorter hose never gives less.
func TestRunAgainstScan(t *testing.T) {
	rnd := rand.New(rand.NewPCG(7, 8))
	for range 200 {
		c, err := pipe.NewCurve(
			pipe.Point{Pressure: 1e5 + 4e5*rnd.Float64()},
			pipe.Point{Flow: (2 + 20*rnd.Float64()) / 60000, Pressure: 5e4 * rnd.Float64()},
			pipe.Point{Flow: (30 + 40*rnd.Float64()) / 60000},
		)
		if err != nil {
			continue
		}
		l := pipe.Line{Curve: c, Up: 5 * rnd.Float64(), Nozzle: .002 + .006*rnd.Float64(), Hoses: []pipe.Hose{
			{Long: 1 + 40*rnd.Float64(), Bore: .008 + .012*rnd.Float64(), Rough: 2e-5, K: 2, More: 1.1},
		}}
		r, err := l.Run()
		if err != nil {
			t.Fatal(err)
		}
		best, at := math.Inf(1), 0.0
		const n = 20000
		for i := range n {
			q := c.End() * float64(i) / n
			if d := math.Abs(c.At(q) - l.Wants(q)); d < best {
				best, at = d, q
			}
		}
		if r.Flow > 0 && math.Abs(r.Flow-at) > 2*c.End()/n {
			t.Fatalf("%+v: %v, by scan %v", l, r.Flow, at)
		}
		wide := l
		wide.Hoses = []pipe.Hose{l.Hoses[0]}
		wide.Hoses[0].Bore *= 1.2
		if w, _ := wide.Run(); w.Flow < r.Flow-1e-12 {
			t.Fatalf("wider gives less: %v, %v", w.Flow, r.Flow)
		}
	}
}

func TestBad(t *testing.T) {
	for _, p := range [][]pipe.Point{nil, {{Flow: 1}}, {{Pressure: 1}, {Flow: 1, Pressure: 2}}, {{Pressure: 2}, {Pressure: 1}}, {{Pressure: math.NaN()}, {Flow: 1}}} {
		if _, err := pipe.NewCurve(p...); !errors.Is(err, pipe.ErrCurve) {
			t.Errorf("%+v: %v", p, err)
		}
	}
	c, _ := pipe.NewCurve(pipe.Point{Pressure: 1e5}, pipe.Point{Flow: 1e-3})
	for _, l := range []pipe.Line{{}, {Curve: c, Hoses: []pipe.Hose{{Long: 1}}}, {Curve: c, Nozzle: -1}, {Curve: c, Up: math.NaN()}} {
		if _, err := l.Run(); err == nil {
			t.Errorf("%+v runs", l)
		}
	}
}

func BenchmarkRun(b *testing.B) {
	c, _ := pipe.NewCurve(pipe.Point{Pressure: 3e5}, pipe.Point{Flow: 20.0 / 60000})
	l := pipe.Line{Curve: c, Up: 2, Nozzle: .004, Hoses: []pipe.Hose{{Long: 2, Bore: .019, K: 1.4}, {Long: 20, Bore: .0125, Rough: 2e-5, K: 2, More: 1.2}}}
	for b.Loop() {
		if _, err := l.Run(); err != nil {
			b.Fatal(err)
		}
	}
}
