package evidence_test

import (
	"math"
	"math/rand/v2"
	"testing"

	"zygonos/core/sums/evidence"
)

func near(t *testing.T, what string, got, want float64) {
	t.Helper()
	if math.Abs(got-want) > 1e-9 {
		t.Errorf("%s: %v, want %v", what, got, want)
	}
}

func TestNormal(t *testing.T) {
	w := []float64{3, 1, 0}
	evidence.Normal(w)
	near(t, "three of four", w[0], 0.75)
	none := []float64{0, 0}
	evidence.Normal(none)
	near(t, "alike", none[1], 0.5)
}

// Four alike causes are two bits; a question that halves them tells one, one that all answer alike tells nothing.
func TestGain(t *testing.T) {
	w := []float64{0.25, 0.25, 0.25, 0.25}
	near(t, "entropy", evidence.Entropy(w), 2)
	near(t, "half", evidence.Gain(w, 2, func(k, i int) float64 {
		if (i < 2) == (k == 0) {
			return 1
		}
		return 0
	}), 1)
	near(t, "nothing", evidence.Gain(w, 2, func(int, int) float64 { return 0.5 }), 0)
	// a channel that errs once in ten: 1 − H(0.1)
	near(t, "erring", evidence.Gain([]float64{0.5, 0.5}, 2, func(k, i int) float64 {
		if k == i {
			return 0.9
		}
		return 0.1
	}), 1+0.9*math.Log2(0.9)+0.1*math.Log2(0.1))
}

// No question tells less than nothing or more than there is to know, and the order of causes does not matter.
func TestGainBounds(t *testing.T) {
	r := rand.New(rand.NewPCG(1, 2))
	for range 500 {
		n := 2 + r.IntN(8)
		w, p := make([]float64, n), make([]float64, n)
		for i := range w {
			w[i], p[i] = r.Float64(), r.Float64()
		}
		evidence.Normal(w)
		ask := func(p []float64) func(k, i int) float64 {
			return func(k, i int) float64 {
				if k == 0 {
					return p[i]
				}
				return 1 - p[i]
			}
		}
		g := evidence.Gain(w, 2, ask(p))
		if g < -1e-12 || g > math.Min(1, evidence.Entropy(w))+1e-12 {
			t.Fatalf("%v of %v", g, evidence.Entropy(w))
		}
		back, pb := make([]float64, n), make([]float64, n)
		for i := range w {
			back[i], pb[i] = w[n-1-i], p[n-1-i]
		}
		near(t, "turned about", evidence.Gain(back, 2, ask(pb)), g)
	}
}
