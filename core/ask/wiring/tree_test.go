package wiring_test

import (
	"math"
	"testing"

	"zygonos/core/ask/wiring"
)

// bestTree is the least mean number of questions that tells all kinds of faults apart, every answer being right: the
// best of all trees of questions, over all subsets of kinds.
func bestTree(priors []float64, answers [][]int) float64 {
	known := map[int]float64{}
	var least func(set int) float64
	least = func(set int) float64 {
		if set&(set-1) == 0 {
			return 0
		}
		if v, ok := known[set]; ok {
			return v
		}
		all := 0.0
		for i := range priors {
			if set>>i&1 == 1 {
				all += priors[i]
			}
		}
		best := math.Inf(1)
		for q := range answers[0] {
			var part [3]int
			for i := range priors {
				if set>>i&1 == 1 {
					part[answers[i][q]] |= 1 << i
				}
			}
			if part[0] == set || part[1] == set || part[2] == set {
				continue
			}
			best = math.Min(best, all+least(part[0])+least(part[1])+least(part[2]))
		}
		known[set] = best
		return best
	}
	sum := 0.0
	for _, p := range priors {
		sum += p
	}
	return least(1<<len(priors)-1) / sum
}

// On harnesses of up to twelve kinds of faults the finder asks at most one question more in the mean than the best
// tree of questions there is.
func TestFinderAgainstTheBestTree(t *testing.T) {
	for name, doc := range map[string][2]string{
		"a pair of tail lamps":                {"flat-7", `"lamps":{"l":{"order":1,"what":"tail","back":2.5,"right":-0.6,"height":0.6},"r":{"order":2,"what":"tail","back":2.5,"right":0.6,"height":0.6}}`},
		"a stop lamp and a plate lamp in one": {"flat-7", `"lamps":{"l":{"order":1,"what":"stop","back":2.5,"right":-0.6,"height":0.6},"r":{"order":2,"what":"plate","back":2.5,"right":-0.6,"height":0.6}}`},
		"one lamp":                            {"pin-7", `"lamps":{"l":{"order":1,"what":"stop","back":2.5,"right":-0.6,"height":0.6}}`},
	} {
		h := wiring.New(with(t, doc[0], doc[1]))
		priors, answers, names := wiring.Kinds(h)
		if len(priors) > 12 {
			t.Fatalf("%s: %d kinds", name, len(priors))
		}
		best, mean, sum := bestTree(priors, answers), 0.0, 0.0
		done := map[string]bool{}
		for _, f := range h.Faults() {
			at := -1
			for i, n := range names {
				if n == wiring.Named(h, &f) && !done[n] {
					at = i
				}
			}
			if at < 0 { // one of a kind stands for all
				continue
			}
			done[names[at]] = true
			var got []wiring.Answer
			for range 40 {
				d := h.Find(got)
				if d.Next == nil {
					break
				}
				got = append(got, wiring.Simulate(h, &f, d.Next))
			}
			mean, sum = mean+priors[at]*float64(len(got)), sum+priors[at]
		}
		mean /= sum
		t.Logf("%s: %d kinds, %.2f questions, best tree %.2f", name, len(priors), mean, best)
		if mean > best+1 {
			t.Errorf("%s: %.2f questions in the mean, %.2f by the best tree", name, mean, best)
		}
	}
}
