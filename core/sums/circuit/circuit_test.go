package circuit_test

import (
	"errors"
	"math"
	"testing"

	"zygonos/core/sums/circuit"
)

const steady = 1e-7

func near(t *testing.T, what string, got, want, by float64) {
	t.Helper()
	if math.Abs(got-want) > by*(1+math.Abs(want)) {
		t.Errorf("%s: %v, want %v", what, got, want)
	}
}

func resistor(a, b int, ohms float64) circuit.Part {
	return circuit.Part{Kind: circuit.Resistor, From: a, To: b, Ohms: ohms}
}

func source(plus int, volts, ohms float64) circuit.Part {
	return circuit.Part{Kind: circuit.Source, From: 0, To: plus, Volts: volts, Ohms: ohms}
}

func solve(t *testing.T, nodes int, parts ...circuit.Part) *circuit.State {
	t.Helper()
	s, err := (&circuit.Circuit{Nodes: nodes, Parts: parts}).Solve()
	if err != nil {
		t.Fatal(err)
	}
	sum := 0.0
	for _, p := range s.Power {
		sum += p
	}
	near(t, "power", sum, 0, 1e-9) // what the source gives is what all else takes
	return s
}

// By hand: 12 V behind 0.1 Ω over 1.9 + 4 Ω give 2 A; over 6 and 3 Ω beside each other 12/2.1; a bridge of 1, 2,
// 3, 6 Ω is balanced, so the 5 Ω across carry nothing; with 4 instead of 6 they do not.
func TestClosedForms(t *testing.T) {
	s := solve(t, 3, source(1, 12, 0.1), resistor(1, 2, 1.9), resistor(2, 0, 4))
	near(t, "series", s.Current[2], 2, steady)
	near(t, "its voltage", s.Volts[2], 8, steady)
	s = solve(t, 2, source(1, 12, 0.1), resistor(1, 0, 6), resistor(1, 0, 3))
	near(t, "parallel", s.Current[0], 12/2.1, steady)
	bridge := func(r float64) *circuit.State {
		return solve(t, 4, source(1, 10, 1e-3), resistor(1, 2, 1), resistor(2, 0, 2), resistor(1, 3, 3), resistor(3, 0, r), resistor(2, 3, 5))
	}
	near(t, "balanced", bridge(6).Current[5], 0, steady)
	// 10 V over the bridge (less the source's mΩ): by Kirchhoff with u, w the middles:
	// (10−u)/1 = u/2 + (u−w)/5, (10−w)/3 + (u−w)/5 = w/4  →  1.7u − 0.2w = 10, 0.2u − 0.78333w = −3.33333
	det := 1.7*-0.7833333333 - (-0.2)*0.2
	u, w := (10*-0.7833333333-(-0.2)*-3.3333333333)/det, (1.7*-3.3333333333-0.2*10)/det
	near(t, "unbalanced", bridge(4).Current[5], (u-w)/5, 1e-2)
}

// Two sources together do what each does alone, the other's voltage at zero.
func TestSuperposition(t *testing.T) {
	of := func(a, b float64) []float64 {
		s, err := (&circuit.Circuit{Nodes: 3, Parts: []circuit.Part{
			source(1, a, 0.2), source(2, b, 0.3), resistor(1, 2, 2), resistor(2, 0, 5), resistor(1, 0, 7),
		}}).Solve()
		if err != nil {
			t.Fatal(err)
		}
		return s.Current
	}
	both, one, two := of(12, 5), of(12, 0), of(0, 5)
	for i := range both {
		near(t, "sum", both[i], one[i]+two[i], steady)
	}
}

// A filament of 21 W at 12 V takes 1.75 A there; at half the voltage R is 2^−0.45 of it, so 1.195 A, and it
// shines a tenth: 0.5^3.4 = 0.0947. Never is it under an eleventh of its hot resistance.
func TestFilament(t *testing.T) {
	lamp := circuit.Part{Kind: circuit.Filament, From: 1, To: 0, Volts: 12, Watts: 21}
	s := solve(t, 2, source(1, 12, 1e-4), lamp)
	near(t, "at 12 V", s.Current[1], 1.75, 1e-3)
	s = solve(t, 2, source(1, 6, 1e-4), lamp)
	near(t, "at 6 V", s.Current[1], 6/(144.0/21*math.Pow(.5, .45)), 1e-3)
	near(t, "light", lamp.Bright(6, 0), .0947, 1e-3)
	s = solve(t, 2, source(1, 0.01, 1e-4), lamp)
	near(t, "cold", 0.01/s.Current[1], 144.0/21*.09, 1e-3)
	// behind so much resistance that it stays cold
	s = solve(t, 3, source(1, 12, 1e-3), resistor(1, 2, 100), circuit.Part{Kind: circuit.Filament, From: 2, To: 0, Volts: 12, Watts: 21})
	near(t, "behind 100 Ω", s.Current[1], 12/(100.001+s.Volts[2]/s.Current[2]), 1e-6)
}

// An LED unit of 2 W at 12 V that is dark under 8 V takes half its current at 10; a steady one all of it; backwards
// neither takes any.
func TestLED(t *testing.T) {
	led := circuit.Part{Kind: circuit.LED, From: 1, To: 0, Volts: 12, Watts: 2, Threshold: 8}
	near(t, "at 10 V", solve(t, 2, source(1, 10, 1e-4), led).Current[1], 1.0/12, 1e-4)
	near(t, "at 7 V", solve(t, 2, source(1, 7, 1e-4), led).Current[1], 0, 1e-7)
	near(t, "backwards", solve(t, 2, source(1, -12, 1e-4), led).Current[1], 0, 1e-7)
	led.Steady = true
	near(t, "steady", solve(t, 2, source(1, 10, 1e-4), led).Current[1], 2.0/12, 1e-4)
}

// A lost earth, by hand: left turn (21 W) and tail (5 W) share an earth that is open. Switching the left turn on
// feeds it back through the tail lamps of both sides in turn: with resistors for lamps, 6.86 Ω in row with 28.8
// and that with the other tail lamp's 28.8: 12/(6.857 + 57.6) = 0.1862 A.
func TestLostEarth(t *testing.T) {
	s := solve(t, 4, source(1, 12, 1e-4),
		resistor(1, 2, 6.857142857), // left turn to the lost earth
		resistor(2, 3, 28.8),        // left tail, back to the tail wire
		resistor(3, 0, 28.8))        // right tail, well earthed
	near(t, "back-feed", s.Current[1], 12/(6.857142857+57.6), 1e-4)
}

// What hangs in the air stands at zero; what makes no sense is named.
func TestBad(t *testing.T) {
	s := solve(t, 4, source(1, 12, 0.1), resistor(1, 0, 10), resistor(2, 3, 1))
	if s.Volts[2] != 0 || s.Current[2] != 0 {
		t.Errorf("an island at %v V", s.Volts[2])
	}
	var bad *circuit.PartError
	for _, p := range []circuit.Part{
		resistor(1, 9, 1), resistor(0, 1, 0), {Kind: circuit.LED, To: 1, Volts: 12, Watts: 1, Threshold: 12}, {Kind: circuit.Filament, To: 1},
		{Kind: circuit.Source, To: 1, Volts: math.NaN(), Ohms: 1},
	} {
		if _, err := (&circuit.Circuit{Nodes: 2, Parts: []circuit.Part{p}}).Solve(); !errors.As(err, &bad) {
			t.Errorf("%+v: %v", p, err)
		}
	}
}

// Half a millimetre squared over ten metres: 0.35 Ω at 20 °C, 0.3773 at 40.
func TestCopper(t *testing.T) {
	near(t, "cold", circuit.Copper(10, .5, 20), .35, 1e-12)
	near(t, "warm", circuit.Copper(10, .5, 40), .35*1.078, 1e-12)
}

func BenchmarkHarness(b *testing.B) {
	parts := []circuit.Part{source(1, 12.8, 0.05)}
	n := 2
	for range 10 {
		parts = append(parts, resistor(1, n, 0.1), circuit.Part{Kind: circuit.Filament, From: n, To: n + 1, Volts: 12, Watts: 21}, resistor(n+1, 0, 0.05))
		n += 2
	}
	for b.Loop() {
		if _, err := (&circuit.Circuit{Nodes: n, Parts: parts}).Solve(); err != nil {
			b.Fatal(err)
		}
	}
}
