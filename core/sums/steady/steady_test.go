package steady_test

import (
	"math"
	"testing"
	"time"

	"zygonos/core/sums/steady"
	"zygonos/standin"
)

// taken runs a simulated scale until it is steady, and gives when and what; at is the true mass.
func taken(s *standin.Scale, most int) (at, value, doubt float64, ok bool) {
	var f steady.Filter
	for n := range most {
		t, kg := s.Reading(n)
		if st := f.Add(t, kg); st.Steady {
			return t, st.Value, st.Doubt, true
		}
	}
	return 0, 0, 0, false
}

// Over a hundred scales with noise, swing, creep and drift, the value lies within its doubt in nineteen of twenty; none is taken while
// it still swings.
func TestCovers(t *testing.T) {
	within, of := 0, 0
	for seed := range uint64(400) {
		s := &standin.Scale{
			Kg: 30 + float64(seed%40)*10, Noise: 0.05 + 0.05*float64(seed%5), Settle: time.Duration(seed%4) * time.Second,
			Step: 0.1, Rate: 10, Seed: seed,
		}
		s.Put(s.Kg, 0)
		at, v, doubt, ok := taken(s, 400)
		if !ok || at < 2 {
			t.Fatalf("seed %d: %v at %v", seed, ok, at)
		}
		of++
		if math.Abs(v-s.Kg) <= doubt {
			within++
		}
	}
	if share := float64(within) / float64(of); share < 0.93 {
		t.Errorf("%v of %d within their doubt", share, of)
	}
}

// A thing that creeps by half a hundredth is taken with a doubt that holds the rest of it, or not yet.
func TestCreep(t *testing.T) {
	for _, creep := range []float64{0.002, 0.005, 0.02} {
		s := &standin.Scale{Kg: 200, Noise: 0.1, Creep: creep, Step: 0.1, Rate: 10, Seed: 5}
		at, v, doubt, ok := taken(s, 900)
		if !ok {
			t.Fatalf("creep %v is never taken", creep)
		}
		left := 200 * creep * math.Exp(-at/20)
		if math.Abs(v-200) > doubt+left {
			t.Errorf("creep %v: %v ± %v at %v s", creep, v, doubt, at)
		}
		if rate := left / 20; rate > 0.25 {
			t.Errorf("creep %v: taken while it goes %v kg/s", creep, rate)
		}
	}
}

// Something put on within the window is not taken as it was before nor between: the next value is the new one.
func TestStep(t *testing.T) {
	s := &standin.Scale{Kg: 50, Noise: 0.1, Settle: time.Second, Step: 0.1, Rate: 10, Seed: 9}
	var f steady.Filter
	for n := range 200 {
		if n == 100 {
			s.Put(80, 10*time.Second)
		}
		tt, kg := s.Reading(n)
		st := f.Add(tt, kg)
		if st.Steady && math.Abs(st.Value-50) > 0.5 && math.Abs(st.Value-80) > 0.5 {
			t.Fatalf("at %v s it takes %v", tt, st.Value)
		}
		if n == 115 && st.Steady {
			t.Error("it stands still while the step is in its window")
		}
		if n == 199 && (!st.Steady || math.Abs(st.Value-80) > st.Doubt) {
			t.Errorf("%+v at the end", st)
		}
	}
}

// Somebody who leans on it for a second, or climbs about, is not taken.
func TestLean(t *testing.T) {
	s := &standin.Scale{Kg: 50, Noise: 0.1, Lean: 15, LeanAt: 2 * time.Second, LeanBy: time.Second, Step: 0.1, Rate: 10, Seed: 3}
	_, v, doubt, ok := taken(s, 200)
	if !ok || math.Abs(v-50) > math.Max(doubt, 0.3) {
		t.Errorf("%v ± %v", v, doubt)
	}
	wild := &standin.Scale{Kg: 50, Noise: 4, Rate: 10, Seed: 3}
	if _, v, _, ok := taken(wild, 300); ok {
		t.Errorf("it takes %v of a scale that somebody dances on", v)
	}
}

// Nonsense is counted and left out; lines are read strictly.
func TestNonsense(t *testing.T) {
	var f steady.Filter
	for n := range 60 {
		f.Add(float64(n)/10, 50)
		f.Add(math.NaN(), 50)
		f.Add(float64(n)/10, math.Inf(1))
		f.Add(-1, 20)
	}
	if st := f.Add(6.05, 50); !st.Steady || st.Value != 50 || f.Nonsense != 180 {
		t.Errorf("%+v, %d", st, f.Nonsense)
	}
	for line, want := range map[string][2]bool{ // ok, wrong
		"1.5 48.2": {true, false}, "# scale": {false, false}, "": {false, false}, "48.2": {false, true}, "1 kg": {false, true},
		"1 NaN": {false, true}, "1 1e9": {false, true}, " 2 -0.3 ": {true, false},
	} {
		if _, _, ok, wrong := steady.Parse(line); ok != want[0] || wrong != want[1] {
			t.Errorf("%q: %v %v", line, ok, wrong)
		}
	}
}

func FuzzParse(f *testing.F) {
	f.Add("1.5 48.2")
	f.Fuzz(func(t *testing.T, line string) {
		if _, kg, ok, wrong := steady.Parse(line); ok && (wrong || math.IsNaN(kg) || math.Abs(kg) > 1e5) {
			t.Errorf("%q: %v", line, kg)
		}
	})
}
