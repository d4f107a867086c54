package standin_test

import (
	"math"
	"testing"
	"time"

	"zygonos/standin"
)

// What it shows by the closed form: settled, it is the mass; late, the share that creeps is missing; it drifts by the minute; a
// person counts while leaning.
func TestAt(t *testing.T) {
	near := func(what string, got, want float64) {
		t.Helper()
		if math.Abs(got-want) > 1e-3 {
			t.Errorf("%s: %v, want %v", what, got, want)
		}
	}
	s := &standin.Scale{Kg: 100, Settle: time.Second}
	near("settled", s.At(5*time.Second), 100)
	s.Put(200, 10*time.Second)
	near("just put on", s.At(10*time.Second), 100)
	near("half a swing later", s.At(10*time.Second+time.Second/3), 200+100*math.Exp(-4.0/3))
	near("settled anew", s.At(20*time.Second), 200)
	near("creeping", (&standin.Scale{Kg: 100, Creep: 0.02}).At(20*time.Second), 100*(1-0.02/math.E))
	near("drifting", (&standin.Scale{Kg: 100, Drift: 0.5}).At(2*time.Minute), 101)
	lean := &standin.Scale{Kg: 100, Lean: 15, LeanAt: time.Second, LeanBy: time.Second}
	near("before it leans", lean.At(900*time.Millisecond), 100)
	near("leaning", lean.At(1500*time.Millisecond), 115)
	near("after it", lean.At(2100*time.Millisecond), 100)
}

// Readings are the same for the same seed, others for another, and scatter as stated; the display steps.
func TestReading(t *testing.T) {
	a, b, c := &standin.Scale{Kg: 50, Noise: 0.2, Seed: 4}, &standin.Scale{Kg: 50, Noise: 0.2, Seed: 4}, &standin.Scale{Kg: 50, Noise: 0.2, Seed: 5}
	var sum, squares float64
	differs := false
	const n = 4000
	for i := range n {
		at, v := a.Reading(i)
		if _, w := b.Reading(i); v != w {
			t.Fatalf("reading %d: %v and %v", i, v, w)
		}
		_, w := c.Reading(i)
		differs = differs || v != w
		if math.Abs(at-float64(i)/10) > 1e-8 {
			t.Fatalf("reading %d at %v", i, at)
		}
		sum, squares = sum+v, squares+(v-50)*(v-50)
	}
	if sd := math.Sqrt(squares / n); !differs || math.Abs(sum/n-50) > 0.02 || sd < 0.19 || sd > 0.21 {
		t.Errorf("mean %v, scatter %v, another seed differs: %v", sum/n, sd, differs)
	}
	step := &standin.Scale{Kg: 50.13, Step: 0.5}
	if _, v := step.Reading(3); v != 50 {
		t.Errorf("a display in halves shows %v", v)
	}
}
