package planks_test

import (
	"errors"
	"math"
	"math/rand/v2"
	"slices"
	"testing"

	"zygonos/core/sums/planks"
)

// By hand: 1400 mm of boards of 120 with gaps of 5: eleven whole ones and ten gaps make 1370; with nine whole
// ones the edges take (1400 − 1080 − 50)/2 = 135, too wide; with ten (1400 − 1200 − 55)/2 = 72.5. 605 mm are
// five boards of 117 and four gaps of 5.
func TestLay(t *testing.T) {
	r, err := planks.Lay(1.4, .12, .005)
	if err != nil || math.Abs(r.Edge-.0725) > 1e-9 || r.Whole != 10 || len(r.At) != 12 {
		t.Errorf("%+v %v", r, err)
	}
	r, err = planks.Lay(.605, .117, .005)
	if err != nil || math.Abs(r.Edge-.117) > 1e-9 || r.Whole != 5 || len(r.At) != 5 {
		t.Errorf("%+v %v", r, err)
	}
	if _, err := planks.Lay(.1, .12, 0); !errors.Is(err, planks.ErrBoard) {
		t.Error(err)
	}
	if _, err := planks.Lay(1, 0, 0); !errors.Is(err, planks.ErrSize) {
		t.Error(err)
	}
}

// Against every number of whole boards: the edge boards are the widest that are no wider than a board, the
// rows fill the width, are alike from both edges and never slivers.
func TestLayBrute(t *testing.T) {
	for w := 0.15; w < 2.6; w += 0.037 {
		for _, b := range []float64{.06, .095, .12, .145} {
			for _, g := range []float64{0, .003, .008} {
				r, err := planks.Lay(w, b, g)
				if b > w {
					continue
				}
				if err != nil {
					t.Fatal(w, b, g, err)
				}
				n := len(r.At)
				if end := r.At[n-1] + r.Wide[n-1]; math.Abs(end-w) > 1e-9 {
					t.Errorf("%v of %v and %v ends at %v", w, b, g, end)
				}
				for i := range n {
					if math.Abs(r.Wide[i]-r.Wide[n-1-i]) > 1e-9 {
						t.Errorf("%v of %v and %v: not alike from both edges", w, b, g)
					}
					if i > 0 && math.Abs(r.At[i]-r.At[i-1]-r.Wide[i-1]-g) > 1e-9 {
						t.Errorf("a gap of %v", r.At[i]-r.At[i-1]-r.Wide[i-1])
					}
				}
				best := 0.0
				for k := range 60 {
					e := (w - float64(k)*b - float64(k+1)*g) / 2
					if e > best && e <= b+1e-9 {
						best = e
					}
				}
				if n > 1 && best > r.Edge+1e-9 {
					t.Errorf("%v of %v and %v: edges of %v, %v can be had", w, b, g, r.Edge, best)
				}
				if n > 1 && r.Edge < b/2-g/2-1e-9 && w > 2*b+g {
					t.Errorf("%v of %v and %v: a sliver of %v", w, b, g, r.Edge)
				}
			}
		}
	}
}

// As few pieces as every choice of places gives, each joint on a place; a place that is missing is stated.
func TestDivide(t *testing.T) {
	at := []float64{.02, .5, .9, 1.3, 1.8, 2.2, 2.48}
	fewest := func(length, most float64) int {
		best := 99
		for set := range 1 << len(at) {
			from, n, ok := 0.0, 1, true
			for i, p := range at {
				if set>>i&1 == 1 && p < length-1e-3 {
					ok = ok && p-from <= most+1e-9
					from, n = p, n+1
				}
			}
			if ok && length-from <= most+1e-9 {
				best = min(best, n)
			}
		}
		return best
	}
	for _, most := range []float64{.5, .8, 1.22, 2.44} {
		joints, gaps := planks.Divide(2.5, most, at)
		if want := fewest(2.5, most); len(gaps) == 0 && len(joints)+1 != want {
			t.Errorf("pieces of %v: %v, %d can do", most, joints, want)
		}
		if (fewest(2.5, most) == 99) != (len(gaps) > 0) {
			t.Errorf("pieces of %v: gaps %v", most, gaps)
		}
	}
	if j, g := planks.Divide(2, 1.2, nil); len(j) != 1 || len(g) != 1 || j[0] != 1.2 {
		t.Errorf("%v %v", j, g)
	}
	if j, _ := planks.Divide(1, 1.2, nil); len(j) != 0 {
		t.Error(j)
	}
}

// A board of 120 that dries from 20 to 12 % gets 2.4 mm narrower.
func TestSwell(t *testing.T) {
	if s := planks.Swell(.12, 8); math.Abs(s-.0024) > 1e-12 {
		t.Error(s)
	}
}

// A second division has as many pieces, no joint of the first, and is there whenever any choice of places gives
// one (all subsets of eight places).
func TestStagger(t *testing.T) {
	rnd := rand.New(rand.NewPCG(3, 4))
	for range 400 {
		var at []float64
		for range 8 {
			at = append(at, math.Round(rnd.Float64()*500)/100)
		}
		slices.Sort(at)
		most := 1 + rnd.Float64()*2
		first, gaps := planks.Divide(5, most, at)
		if len(gaps) > 0 || len(first) == 0 {
			continue
		}
		got := planks.Stagger(5, most, at, first)
		could := false
		for set := range 1 << len(at) {
			var s []float64
			for i, p := range at {
				if set>>i&1 == 1 {
					s = append(s, p)
				}
			}
			ok, from := len(s) == len(first), 0.0
			for _, p := range append(slices.Clone(s), 5) {
				ok = ok && p-from <= most+1e-9 && (p == 5 || p > from+1e-3 && p < 5-1e-3)
				from = p
			}
			for _, p := range s {
				ok = ok && !slices.ContainsFunc(first, func(j float64) bool { return math.Abs(j-p) < 1e-3 })
			}
			could = could || ok
		}
		if could != (got != nil) {
			t.Fatalf("%v most %v first %v: %v, could be %v", at, most, first, got, could)
		}
	}
}
