package learn_test

import (
	"math"
	"math/rand/v2"
	"slices"
	"strconv"
	"testing"

	"zygonos/core/learn"
)

// By hand: prior 1100 to 1900 is 1500 ± 200; one slip of 1700 with a doubt of 100 and a spread of 75 weighs 1/15625 against
// 1/40000: s² = 11235.96, m = 11235.96·(1500/40000 + 1700/15625) = 1643.8.
func TestByHand(t *testing.T) {
	l := learn.Normal(learn.Prior{Low: 1100, High: 1900}, []learn.Reading{{ID: "a", Value: 1700, Doubt: 100}}, 75)
	if math.Abs(l.Mean-1643.82) > 0.01 || math.Abs(l.SD-106.0) > 0.01 || math.Abs(l.High-l.Mean-1.6448536*106.0) > 0.02 {
		t.Errorf("%+v", l)
	}
	none := learn.Normal(learn.Prior{Low: 1100, High: 1900}, nil, 75)
	if math.Abs(none.Mean-1500) > 1e-9 || math.Abs(none.SD-200) > 1e-9 {
		t.Errorf("%+v", none)
	}
	bad := learn.Normal(learn.Prior{Low: 1100, High: 1900}, []learn.Reading{{ID: "n", Value: math.NaN()}, {ID: "m", Value: 1, Doubt: math.NaN()}}, 75)
	if math.Abs(bad.Mean-1500) > 1e-9 || len(bad.Used) != 0 {
		t.Errorf("%+v", bad)
	}
}

// Nine in ten: of two thousand simulated materials the band holds the true mean of 85 to 95 in a hundred, at 3, 5 and 10 slips;
// it narrows with each.
func TestCoverage(t *testing.T) {
	r := rand.New(rand.NewPCG(21, 22))
	p := learn.Prior{Low: 1100, High: 1900}
	last := math.Inf(1)
	for _, n := range []int{3, 5, 10} {
		held, wide := 0, 0.0
		for range 2000 {
			mean := 1500 + 200*r.NormFloat64()
			var in []learn.Reading
			for i := range n {
				doubt := 40 + 80*r.Float64()
				in = append(in, learn.Reading{ID: strconv.Itoa(i), Value: mean + 75*r.NormFloat64() + doubt*r.NormFloat64(), Doubt: doubt})
			}
			l := learn.Normal(p, in, 75)
			if l.Low <= mean && mean <= l.High {
				held++
			}
			wide += l.High - l.Low
		}
		if held < 1700 || held > 1900 || wide >= last {
			t.Errorf("%d slips: %d of 2000 held, %v wide", n, held, wide/2000)
		}
		last = wide
	}
}

// A slip of another material is shown and not swallowed; of two that differ neither is thrown out.
func TestOutlier(t *testing.T) {
	p := learn.Prior{Low: 1100, High: 1900}
	in := []learn.Reading{{"a", 1620, 50}, {"b", 1660, 50}, {"c", 700, 50}, {"d", 1640, 50}}
	l := learn.Normal(p, in, 60)
	if !slices.Equal(l.Out, []string{"c"}) || !slices.Equal(l.Used, []string{"a", "b", "d"}) || math.Abs(l.Mean-1640) > 15 {
		t.Errorf("%+v", l)
	}
	if two := learn.Normal(p, in[1:3], 60); len(two.Out) != 0 {
		t.Errorf("%+v", two)
	}
	sure := []learn.Reading{{"a", 1620, 0}, {"b", 1620, 0}, {"c", 700, 0}}
	if l := learn.Normal(p, sure, 0); !slices.Equal(l.Out, []string{"c"}) || math.Abs(l.Mean-1620) > 0.01 || !(l.SD > 0) {
		t.Errorf("without a doubt: %+v", l)
	}
	slices.Reverse(in)
	if again := learn.Normal(p, in, 60); math.Abs(again.Mean-l.Mean) > 1e-9 {
		t.Errorf("another order: %v and %v", again.Mean, l.Mean)
	}
}

// Ten thousand slips, a twentieth of them of another material, are sorted out while one waits.
func TestManySlips(t *testing.T) {
	var in []learn.Reading
	for i := range 10000 {
		v := 1600.0
		if i%20 == 0 {
			v = 600
		}
		in = append(in, learn.Reading{ID: strconv.Itoa(i), Value: v, Doubt: 40})
	}
	if l := learn.Normal(learn.Prior{Low: 1100, High: 1900}, in, 60); len(l.Out) != 500 || math.Abs(l.Mean-1600) > 1 {
		t.Errorf("%d left out, %v", len(l.Out), l.Mean)
	}
}
