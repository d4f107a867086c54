package beam_test

import (
	"errors"
	"math"
	"math/rand/v2"
	"testing"

	"zygonos/core/sums/beam"
)

// Closed forms of the strength-of-materials tables; EI 1000, length 2, load 300 N or
// 100 N/m.
func TestClosedForms(t *testing.T) {
	const ei, l, p, w = 1000.0, 2.0, 300.0, 100.0
	two := []beam.Support{{At: 0}, {At: l}}
	for name, c := range map[string]struct {
		b                  beam.Beam
		moment, deflection float64
		reactions          []float64
	}{
		"middle":         {beam.Beam{Supports: two, Loads: []beam.Load{{At: 1, Force: p}}}, p * l / 4, p * l * l * l / (48 * ei), []float64{150, 150}},
		"spread":         {beam.Beam{Supports: two, Spread: w}, w * l * l / 8, 5 * w * l * l * l * l / (384 * ei), []float64{100, 100}},
		"cantilever":     {beam.Beam{Supports: []beam.Support{{At: 0, Fixed: true}}, Loads: []beam.Load{{At: l, Force: p}}}, p * l, p * l * l * l / (3 * ei), []float64{300}},
		"cantilever sag": {beam.Beam{Supports: []beam.Support{{At: 0, Fixed: true}}, Spread: w}, w * l * l / 2, w * l * l * l * l / (8 * ei), []float64{200}},
		"built in":       {beam.Beam{Supports: []beam.Support{{At: 0, Fixed: true}, {At: l, Fixed: true}}, Loads: []beam.Load{{At: 1, Force: p}}}, p * l / 8, p * l * l * l / (192 * ei), []float64{150, 150}},
		"propped":        {beam.Beam{Supports: []beam.Support{{At: 0, Fixed: true}, {At: l}}, Spread: w}, w * l * l / 8, w * l * l * l * l / (184.6 * ei), []float64{125, 75}},
		// Posts at 0.4 and 1.6, loads at both ends: P·a = 120; ends sink P·a²(2a + 3b)/(6EI)… with b = 1.2.
		"arms":       {beam.Beam{Supports: []beam.Support{{At: 0.4}, {At: 1.6}}, Loads: []beam.Load{{At: 0, Force: p}, {At: l, Force: p}}}, p * 0.4, p * 0.4 * 0.4 * (2*0.4 + 3*1.2) / (6 * ei), []float64{300, 300}},
		"three":      {beam.Beam{Supports: []beam.Support{{At: 0}, {At: 1}, {At: 2}}, Spread: w}, w * 1 / 8, w / (184.6 * ei), []float64{37.5, 125, 37.5}},
		"third post": {beam.Beam{Supports: []beam.Support{{At: 0}, {At: 1}, {At: 2}}, Loads: []beam.Load{{At: 1, Force: p}}}, 0, 0, []float64{0, 300, 0}},
	} {
		c.b.Length, c.b.Stiffness = l, ei
		r, err := c.b.Solve()
		if err != nil {
			t.Fatal(name, err)
		}
		if math.Abs(math.Abs(r.Moment)-c.moment) > 1e-6*(1+c.moment) || math.Abs(math.Abs(r.Deflection)-c.deflection) > 2e-3*c.deflection+1e-12 {
			t.Errorf("%s: moment %v (%v), deflection %v (%v)", name, r.Moment, c.moment, r.Deflection, c.deflection)
		}
		for i, want := range c.reactions {
			if math.Abs(r.Reactions[i]-want) > 1e-6 {
				t.Errorf("%s: reactions %v, want %v", name, r.Reactions, c.reactions)
			}
		}
	}
}

// Random beams on two posts with arms: reactions by levers, the moment by sums from
// the left, the deflection by integrating M/EI twice.
func TestAgainstIntegration(t *testing.T) {
	random := rand.New(rand.NewPCG(8, 9))
	for range 40 {
		l := 1 + random.Float64()
		a, c := l*(0.05+0.3*random.Float64()), l*(0.65+0.3*random.Float64())
		b := beam.Beam{Length: l, Stiffness: 500 + 5000*random.Float64(), Spread: 50 * random.Float64(), Supports: []beam.Support{{At: a}, {At: c}}}
		for range 1 + random.IntN(4) {
			b.Loads = append(b.Loads, beam.Load{At: l * random.Float64(), Force: 400 * random.Float64()})
		}
		r, err := b.Solve()
		if err != nil {
			t.Fatal(err)
		}
		total, about := b.Spread*l, b.Spread*l*(l/2-a)
		for _, p := range b.Loads {
			total, about = total+p.Force, about+p.Force*(p.At-a)
		}
		right := about / (c - a)
		if math.Abs(r.Reactions[1]-right) > 1e-6*total || math.Abs(r.Reactions[0]+right-total) > 1e-6*total {
			t.Fatalf("reactions %v, by levers %v and %v", r.Reactions, total-right, right)
		}
		moment := func(x float64) float64 { // sagging positive
			m := -b.Spread * x * x / 2
			for _, p := range b.Loads {
				m -= p.Force * max(0, x-p.At)
			}
			return m + (total-right)*max(0, x-a) + right*max(0, x-c)
		}
		const n = 20000
		h := l / n
		v, slope, at := make([]float64, n+1), 0.0, func(x float64) int { return int(math.Round(x / h)) }
		most := 0.0
		for i := range n {
			x := (float64(i) + 0.5) * h
			slope += moment(x) / b.Stiffness * h
			v[i+1] = v[i] + (slope-moment(x)/b.Stiffness*h/2)*h
			most = max(most, math.Abs(moment(float64(i)*h)))
		}
		tilt := (v[at(c)] - v[at(a)]) / (c - a)
		sag := 0.0
		for i := range v {
			sag = max(sag, math.Abs(v[i]-v[at(a)]-tilt*(float64(i)*h-a)))
		}
		if math.Abs(math.Abs(r.Moment)-most) > 2e-3*most || math.Abs(math.Abs(r.Deflection)-sag) > 4e-3*sag+1e-7 {
			t.Errorf("moment %v by sums %v, deflection %v by integration %v", r.Moment, most, r.Deflection, sag)
		}
	}
}

func TestNoBeam(t *testing.T) {
	ok := beam.Beam{Length: 2, Stiffness: 100, Supports: []beam.Support{{At: 0}, {At: 2}}}
	for _, c := range []struct {
		change func(*beam.Beam)
		want   error
	}{
		{func(b *beam.Beam) { b.Supports = nil }, beam.ErrLoose},
		{func(b *beam.Beam) { b.Supports = b.Supports[:1] }, beam.ErrLoose},
		{func(b *beam.Beam) { b.Stiffness = 0 }, beam.ErrStiff},
		{func(b *beam.Beam) { b.Length = math.NaN() }, beam.ErrStiff},
		{func(b *beam.Beam) { b.Loads = []beam.Load{{At: 3, Force: 1}} }, beam.ErrPlace},
		{func(b *beam.Beam) { b.Supports = []beam.Support{{At: -1}, {At: 2}} }, beam.ErrPlace},
	} {
		b := ok
		c.change(&b)
		if _, err := b.Solve(); !errors.Is(err, c.want) {
			t.Errorf("%+v: %v", b, err)
		}
	}
}

// Each span has its own sag: two of 2 m under q = 100 N/m, one end hanging out by 0.5 m with
// 50 N at its tip, EI 1000. A third support in the middle of 4 m: what is worst is stated span
// by span, and supports that all but coincide are no answer.
func TestSpans(t *testing.T) {
	b := beam.Beam{Length: 4, Stiffness: 1000, Spread: 100, Supports: []beam.Support{{At: 0}, {At: 2}, {At: 4}}}
	r, err := b.Solve()
	if err != nil || len(r.Spans) != 2 {
		t.Fatalf("%v %+v", err, r.Spans)
	}
	// Propped cantilevers back to back: q·l⁴/(185·EI).
	for _, s := range r.Spans {
		if want := 100.0 * 16 / (184.6 * 1000); math.Abs(s.Deflection-want) > 0.005*want || s.Length() != 2 {
			t.Errorf("%+v, want %v", s, want)
		}
	}
	b = beam.Beam{Length: 2.5, Stiffness: 1000, Supports: []beam.Support{{At: 0, Fixed: true}, {At: 2, Fixed: true}}, Loads: []beam.Load{{At: 2.5, Force: 50}}}
	r, err = b.Solve()
	if err != nil || len(r.Spans) != 2 || !r.Spans[1].Free || r.Spans[1].Length() != 1 {
		t.Fatalf("%v %+v", err, r.Spans)
	}
	if want := 50 * 0.125 / 3000; math.Abs(r.Spans[1].Deflection-want) > 1e-9 { // F·l³/(3·EI)
		t.Errorf("tip %v, want %v", r.Spans[1].Deflection, want)
	}
	b = beam.Beam{Length: 1, Stiffness: 1e5, Supports: []beam.Support{{At: 0.5}, {At: 0.5 + 3e-9}}, Loads: []beam.Load{{At: 1, Force: 100}}}
	if r, err := b.Solve(); err == nil {
		t.Errorf("supports 3 nm apart: %+v", r)
	}
}
