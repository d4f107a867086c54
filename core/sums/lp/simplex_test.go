package lp_test

import (
	"errors"
	"math"
	"math/rand/v2"
	"testing"

	"gonum.org/v1/gonum/mat"

	"zygonos/core/sums/lp"
)

// corners is the greatest c·x over all ways to pick as many unknowns as there are equations,
// solve for them and find them not negative: the programme's own definition.
func corners(c []float64, a [][]float64, b []float64) (best float64, ok bool) {
	m, n := len(a), len(c)
	best = math.Inf(-1)
	pick := make([]int, m)
	var try func(from, k int)
	try = func(from, k int) {
		if k < m {
			for j := from; j < n; j++ {
				pick[k] = j
				try(j+1, k+1)
			}
			return
		}
		sub, right := mat.NewDense(m, m, nil), mat.NewVecDense(m, append([]float64(nil), b...))
		for i := range m {
			for k, j := range pick {
				sub.Set(i, k, a[i][j])
			}
		}
		if math.Abs(mat.Det(sub)) < 1e-7 {
			return
		}
		var x mat.VecDense
		if x.SolveVec(sub, right) != nil {
			return
		}
		sum := 0.0
		for k, j := range pick {
			if x.AtVec(k) < -1e-9 {
				return
			}
			sum += c[j] * x.AtVec(k)
		}
		best, ok = math.Max(best, sum), true
	}
	try(0, 0)
	return best, ok
}

// Against every corner of random programmes; some have no corner.
func TestMaximiseAgainstCorners(t *testing.T) {
	r := rand.New(rand.NewPCG(6, 28))
	solved, none := 0, 0
	for range 400 {
		m, free := 1+r.IntN(3), 1+r.IntN(3)
		n := free + m
		c, a, b := make([]float64, n), make([][]float64, m), make([]float64, m)
		for j := range free {
			c[j] = 2*r.Float64() - 1
		}
		for i := range a {
			a[i] = make([]float64, n)
			for j := range free {
				a[i][j] = math.Round(4*r.Float64()-1) / 2
			}
			a[i][free+i] = float64(1 - 2*r.IntN(2)*r.IntN(2)) // a slack, some below
			b[i] = math.Round(6*r.Float64()-1) / 2
		}
		a, b = append(a, make([]float64, n)), append(b, 10) // all of it at most 10
		for j := range a[m] {
			a[m][j] = 1
		}
		for i := range a {
			a[i] = append(a[i], 0)
		}
		a[m][n], c = 1, append(c, 0)
		want, ok := corners(c, a, b)
		x, err := lp.Maximise(c, a, b)
		if !ok {
			none++
			if !errors.Is(err, lp.ErrInfeasible) {
				t.Errorf("no corner, and %v %v", x, err)
			}
			continue
		}
		if err != nil {
			t.Errorf("%v where %v is the most", err, want)
			continue
		}
		solved++
		got := 0.0
		for j, v := range x {
			got += c[j] * v
			if v < 0 {
				t.Errorf("x is %v", x)
			}
		}
		if math.Abs(got-want) > 1e-7 {
			t.Errorf("%v, the corners say %v", got, want)
		}
	}
	if solved < 150 || none < 20 {
		t.Errorf("%d solved, %d without an answer", solved, none)
	}
}

// The classic programme on which the steepest column goes round in circles; its most is
// 1/20 at x = (1/25, 0, 1, 0). Equations that say the same twice; ends that are not there.
func TestMaximiseEnds(t *testing.T) {
	x, err := lp.Maximise([]float64{0.75, -150, 0.02, -6, 0, 0, 0}, [][]float64{
		{0.25, -60, -0.04, 9, 1, 0, 0}, {0.5, -90, -0.02, 3, 0, 1, 0}, {0, 0, 1, 0, 0, 0, 1}}, []float64{0, 0, 1})
	if err != nil || math.Abs(0.75*x[0]-150*x[1]+0.02*x[2]-6*x[3]-0.05) > 1e-9 {
		t.Errorf("%v %v", x, err)
	}
	x, err = lp.Maximise([]float64{1, 0}, [][]float64{{1, 1}, {2, 2}}, []float64{3, 6})
	if err != nil || math.Abs(x[0]-3) > 1e-9 {
		t.Errorf("said twice: %v %v", x, err)
	}
	if _, err := lp.Maximise([]float64{1, 0}, [][]float64{{1, 1}, {2, 2}}, []float64{3, 7}); !errors.Is(err, lp.ErrInfeasible) {
		t.Errorf("at odds: %v", err)
	}
	if _, err := lp.Maximise([]float64{1, 0}, [][]float64{{1, -1}}, []float64{1}); !errors.Is(err, lp.ErrUnbounded) {
		t.Errorf("without end: %v", err)
	}
	if _, err := lp.Maximise([]float64{math.NaN(), 0}, [][]float64{{1, math.NaN()}}, []float64{1}); err == nil {
		t.Error("no numbers, and an answer")
	}
	if _, err := lp.Maximise([]float64{1, 0}, [][]float64{{1, 1}}, []float64{math.Inf(1)}); err == nil {
		t.Error("no bound that a float tells, and an answer")
	}
}
