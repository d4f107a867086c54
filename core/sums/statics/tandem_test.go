package statics_test

import (
	"math"
	"testing"

	"gonum.org/v1/gonum/mat"

	"zygonos/core/sums/statics"
)

func approx(t *testing.T, what string, got, want float64) {
	t.Helper()
	if math.Abs(got-want) > 1e-6*math.Max(1, math.Abs(want)) {
		t.Errorf("%s: got %.9g, want %.9g", what, got, want)
	}
}

// 1000 kg, moment 2700 about the ball, axles at 2.4 and 3.2 m, 10 000 kg/m each:
// level 2700/5.6 = 482.14 each and 35.71 on the ball; 50 mm high 80 less in front,
// 60 more behind and 20 more on the ball.
func TestTandem(t *testing.T) {
	for _, c := range []struct{ dz, front, rear, ball float64 }{
		{0, 482.142857, 482.142857, 35.714286},
		{0.05, 402.142857, 542.142857, 55.714286},
		{-0.05, 562.142857, 422.142857, 15.714286},
		{0.4, 0, 843.75, 156.25}, // the front axle has lifted off: 2700/3.2
		{-0.6, 1125, 0, -125},
	} {
		f, ball := statics.Tandem(1000, 2700, 10000, []float64{2.4, 3.2}, c.dz)
		front, rear := f[0], f[1]
		approx(t, "front", front, c.front)
		approx(t, "rear", rear, c.rear)
		approx(t, "ball", ball, c.ball)
		approx(t, "moment", front*2.4+rear*3.2, 2700)
	}
	// A second way: ball force and pitch as unknowns of equilibrium, springs that
	// bear F₀ − k·(dz + φ·x).
	for _, dz := range []float64{-0.04, 0.01, 0.06} {
		k, m, moment, x1, x2 := 8000.0, 900.0, 2500.0, 2.5, 3.3
		even := moment / (x1 + x2)
		a := mat.NewDense(2, 2, []float64{1, -k * (x1 + x2), 0, -k * (x1*x1 + x2*x2)})
		b := mat.NewVecDense(2, []float64{m - 2*even + 2*k*dz, moment - even*(x1+x2) + k*dz*(x1+x2)})
		var x mat.VecDense
		if err := x.SolveVec(a, b); err != nil {
			t.Fatal(err)
		}
		f, ball := statics.Tandem(m, moment, k, []float64{x1, x2}, dz)
		front := f[0]
		approx(t, "ball by equilibrium", ball, x.AtVec(0))
		approx(t, "front by equilibrium", front, even-k*(dz+x.AtVec(1)*x1))
	}
}

// Three axles: by hand 1500 kg, moment 4500, at 2.2, 3.0 and 3.8 m, 10 000 kg/m each, the
// ball 20 mm high: Σx 9, Σx² 28.28, level 500 each; 500 − 200·(1 − x·9/28.28). So high that
// the front one lifts, the other two alone bear the moment about the ball.
func TestTandemOfThree(t *testing.T) {
	f, ball := statics.Tandem(1500, 4500, 10000, []float64{2.2, 3, 3.8}, 0.02)
	for i, want := range []float64{440.028289, 490.947666, 541.867044} {
		approx(t, "axle", f[i], want)
	}
	approx(t, "ball", ball, 27.157001)
	f, ball = statics.Tandem(1500, 4500, 10000, []float64{2.2, 3, 3.8}, 0.3)
	if f[0] != 0 || f[1] <= 0 || f[2] <= f[1] {
		t.Errorf("%v", f)
	}
	approx(t, "moment", 3*f[1]+3.8*f[2], 4500)
	approx(t, "all", ball+f[1]+f[2], 1500)
}
