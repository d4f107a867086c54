package sequence_test

import (
	"errors"
	"math"
	"math/rand/v2"
	"slices"
	"testing"

	"zygonos/core/sums/sequence"
)

// random is a list of steps of which each waits for some before it, its numbers shuffled.
func random(r *rand.Rand, n int) []sequence.Step {
	perm := r.Perm(n)
	steps := make([]sequence.Step, n)
	for i := range n {
		s := sequence.Step{Side: sequence.Side(r.IntN(3)), Tool: string(rune('a' + r.IntN(3))), Hours: float64(1 + r.IntN(5))}
		for b := range i {
			if r.IntN(3) == 0 {
				s.After = append(s.After, perm[b])
			}
		}
		steps[perm[i]] = s
	}
	return steps
}

// turnsOf an order from a side, onto the feet in the end.
func turnsOf(steps []sequence.Step, order []int, side sequence.Side) (n int) {
	for _, i := range order {
		if s := steps[i].Side; s != sequence.Any && s != side {
			n, side = n+1, s
		}
	}
	if side == sequence.Down {
		n++
	}
	return n
}

// Against all orders of small lists: none turns less; and the order waits for what it must.
func TestAgainstAllOrders(t *testing.T) {
	r := rand.New(rand.NewPCG(11, 12))
	for range 400 {
		steps := random(r, 2+r.IntN(6))
		order, turns, start, err := sequence.Order(steps)
		if err != nil {
			t.Fatal(err)
		}
		done := map[int]bool{}
		for _, i := range order {
			for _, b := range steps[i].After {
				if !done[b] {
					t.Fatalf("%d before %d", i, b)
				}
			}
			done[i] = true
		}
		if len(done) != len(steps) || turnsOf(steps, order, start) != turns {
			t.Fatalf("%v: %d turns said, %d counted", order, turns, turnsOf(steps, order, start))
		}
		best := math.MaxInt
		var try func(order []int, used int)
		try = func(order []int, used int) {
			if len(order) == len(steps) {
				best = min(best, turnsOf(steps, order, sequence.Up), turnsOf(steps, order, sequence.Down))
				return
			}
			for i, s := range steps {
				if used>>i&1 == 1 || slices.ContainsFunc(s.After, func(b int) bool { return used>>b&1 == 0 }) {
					continue
				}
				try(append(order[:len(order):len(order)], i), used|1<<i)
			}
		}
		try(nil, 0)
		if turns != best {
			t.Errorf("%+v: %d turns, the best of all orders has %d", steps, turns, best)
		}
	}
}

// The longest chain against all paths; circles and steps that are not there are named.
func TestCritical(t *testing.T) {
	r := rand.New(rand.NewPCG(13, 14))
	for range 300 {
		steps := random(r, 2+r.IntN(8))
		hours, chain, err := sequence.Critical(steps)
		if err != nil {
			t.Fatal(err)
		}
		var longest func(i int) float64
		longest = func(i int) float64 {
			most := 0.0
			for _, b := range steps[i].After {
				most = math.Max(most, longest(b))
			}
			return most + steps[i].Hours
		}
		want, sum := 0.0, 0.0
		for i := range steps {
			want = math.Max(want, longest(i))
		}
		for k, i := range chain {
			sum += steps[i].Hours
			if k > 0 && !slices.Contains(steps[i].After, chain[k-1]) {
				t.Fatalf("%d does not wait for %d", i, chain[k-1])
			}
		}
		if hours != want || sum != want {
			t.Errorf("%v h by %v (%v), want %v", hours, chain, sum, want)
		}
	}
	var circle *sequence.CycleError
	if _, _, _, err := sequence.Order([]sequence.Step{{After: []int{1}}, {After: []int{2}}, {After: []int{0}}, {}}); !errors.As(err, &circle) || len(circle.Steps) != 3 {
		t.Errorf("%v", err)
	}
	if _, _, _, err := sequence.Order([]sequence.Step{{After: []int{0}}}); !errors.Is(err, sequence.ErrStep) {
		t.Error(err)
	}
	if _, _, _, err := sequence.Order(nil); err != nil {
		t.Error(err)
	}
}

func BenchmarkOrder120(b *testing.B) {
	steps := random(rand.New(rand.NewPCG(1, 2)), 120)
	for b.Loop() {
		if _, _, _, err := sequence.Order(steps); err != nil {
			b.Fatal(err)
		}
	}
}
