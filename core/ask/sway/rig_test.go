package sway_test

import (
	"math"
	"testing"

	"zygonos/core/ask/sway"
	"zygonos/core/internal/sample"
	"zygonos/core/lang/finding"
	"zygonos/core/rig"
)

// The sample with 80 kg of running gear and the deck at 1.0 to 3.5 m, 1.4 m wide,
// track 1.6. Empty 250 kg, its centre at 230·2.5/250 = 2.3 m; gear 80 kg at 2.5, the
// rest 170 kg at (575 − 200)/170 = 2.205882 m. About its own centre:
//
//	gear 80(0.64 + 0.04) = 54.4; rest 170((6.25 + 1.96)/12 + 0.0941176²) = 117.814216
//
// Crate 400 kg at 2.25, 1.0 × 0.8: 400·1.64/12 = 54.666667. Whole centre
// 590·2.5/650 = 2.2692308: crate 400·0.0192308² = 0.147929, empty
// 250·0.0307692² = 0.236686. In all 227.265498.
func TestInertia(t *testing.T) {
	r := rig.Resolve(sample.Plan(t, "/trailers/t/runningGear", `{"value":80,"how":"weighed"}`), "t", "o")
	whole, own := sway.Spread(r)
	if math.Abs(whole-227.265498) > 1e-4 || math.Abs(own-226.880883) > 1e-4 {
		t.Errorf("%v, own %v", whole, own)
	}
}

func TestOf(t *testing.T) {
	r := rig.Resolve(sample.Plan(t), "t", "o")
	s, needs := sway.Of(r)
	if s == nil {
		t.Fatal(needs)
	}
	// Rear axle without the ball: 600 + 0.55·150 + 50 = 732.5 of 1700 kg; wheelbase 2.5:
	// front axle 2.5·732.5/1700 = 1.077206 m ahead of the centre. Ball 60 kg on a lever of
	// 1.4: rear 816.5, front 943.5 kg.
	for _, x := range []struct {
		name      string
		got, want float64
	}{
		{"front", s.Front, 1.0772059}, {"rear load", s.RearLoad / 9.80665, 816.5}, {"front load", s.FrontLoad / 9.80665, 943.5},
		{"centre", s.Centre, 2.2692308}, {"on axle", s.OnAxle / 9.80665, 590},
	} {
		if math.Abs(x.got-x.want) > 1e-6*x.want {
			t.Errorf("%s: %v, want %v", x.name, x.got, x.want)
		}
	}
	m := s.Model(sway.Nominal)
	// 6° per g: 943.5·9.80665/0.1047198 = 88355 N/rad.
	if math.Abs(m.FrontTyres-88355) > 5 || math.Abs(m.Tyres-8*590*9.80665) > 1e-6 {
		t.Errorf("%+v", m)
	}
	for _, missing := range []string{"/towVehicles/car/kerb", "/outings/o/people", "/outings/o/vehicle", "/trailers/t/couplingToAxle"} {
		if s, needs := sway.Of(rig.Resolve(sample.Plan(t, missing, "-"), "t", "o")); s != nil || len(needs) == 0 {
			t.Errorf("without %s: %+v %v", missing, s, needs)
		}
	}
}

// Things stood up at the tail cost damping; the same over the axle costs less.
func TestChart(t *testing.T) {
	chart := func(back string) *sway.Chart {
		p := sample.Plan(t, "/loads/ramps", `{"order":2,"name":"Ramps","mass":{"value":30,"how":"weighed"},"size":{"length":{"value":0.2,"how":"weighed"},"width":{"value":1,"how":"weighed"}},"centre":{}}`,
			"/outings/o/layouts/t/placements/ramps", `{"on":"deck","at":{"back":`+back+`}}`)
		return sway.ChartOf(rig.Resolve(p, "t", "o"))
	}
	tail, middle := chart("2.3"), chart("1.4")
	if tail == nil || middle == nil || !(tail.Compare.Damping < middle.Compare.Damping) || !(tail.Inertia > middle.Inertia) {
		t.Fatalf("%+v %+v", tail, middle)
	}
	for i, p := range middle.Curve {
		if !(p.Low <= p.Damping && p.Damping <= p.High) || i > 0 && p.Speed <= middle.Curve[i-1].Speed {
			t.Errorf("%+v", p)
		}
	}
	// Where the nominal curve says that damping falls under a tenth, it is a tenth.
	if b := tail.Little; b != nil && b.Value != nil {
		p := sample.Plan(t, "/loads/ramps", `{"order":2,"name":"Ramps","mass":{"value":30,"how":"weighed"},"size":{"length":{"value":0.2,"how":"weighed"},"width":{"value":1,"how":"weighed"}},"centre":{}}`,
			"/outings/o/layouts/t/placements/ramps", `{"on":"deck","at":{"back":2.3}}`)
		z, _ := sway.Damping(rig.Resolve(p, "t", "o"), *b.Value)
		if math.Abs(z-sway.Little) > 0.004 || b.Low == nil || *b.Low > *b.Value {
			t.Errorf("%v at %v, band from %v", z, *b.Value, b.Low)
		}
	}
}

// It compares and decides nothing: whatever it comes to, it says so.
func TestCheck(t *testing.T) {
	for _, back := range []string{"0.1", "0.75", "1.2", "1.5"} {
		fs := sway.Check(rig.Resolve(sample.Plan(t, sample.Crate+"/at/back", back), "t", "o"))
		f := sample.Find(t, fs, sway.CodeDamping)
		if !f.Compares || f.Figure == nil || f.Outcome == finding.Fails || len(f.Work()) != 2 {
			t.Errorf("%+v", f)
		}
	}
	f := sample.Find(t, sway.Check(rig.Resolve(sample.Plan(t, "/towVehicles/car/kerb", "-"), "t", "o")), sway.CodeDamping)
	if f.Outcome != finding.Unknown || len(f.Needs) == 0 {
		t.Errorf("%+v", f)
	}
}

func BenchmarkChart(b *testing.B) {
	r := rig.Resolve(sample.Plan(b), "t", "o")
	for b.Loop() {
		sway.ChartOf(r)
	}
}
