package gear_test

import (
	"math"
	"testing"

	"zygonos/core/ask/gear"
	"zygonos/core/internal/sample"
	"zygonos/core/lang/finding"
	"zygonos/core/lang/quantity"
	"zygonos/core/plan"
	"zygonos/core/rig"
)

func m(v float64) *quantity.Length {
	l := quantity.Length(v)
	return &l
}

// Worked by hand, wheels of 280 mm radius, track 1.6 m, shock 2:
//
//	tube 50 × 50 × 4: W 9.49 cm³ (EN 10219-2), springs 1 m apart, a = 0.3 m:
//	2·133.3 MPa·9.49e-6/(2·9.80665·0.3) = 430 kg; 355 MPa: 1145.
//	spindle 25.4 mm: W 1.609 cm³, c 60 mm: max(0.12, 0.06 + 0.14) = 0.2:
//	2·226.7 MPa·1.609e-6/(9.80665·0.2) = 372 kg; usually 907.
//	bearing C 25 kN: 56.84 M turns in 100 000 km, 25000/56.84^0.3 = 7440 N: 2·7440/(0.7·1.5·9.80665) = 1445.
//	spring of 3 leaves 45 × 6.4, 640 mm: 2·3·0.045·0.0064²/(3·0.64) = 5.76e-6 m²: 2·450e6·5.76e-6/9.80665 = 529 kg.
func TestBounds(t *testing.T) {
	for name, c := range map[string]struct {
		g         plan.Gear
		low, high float64
	}{
		"tube":    {plan.Gear{Tube: &plan.Profile{Shape: "tube", Height: 0.05, Width: 0.05, Wall: 0.004, Material: "mild"}, Seats: m(1)}, 430, 1145},
		"spindle": {plan.Gear{Spindle: m(0.0254)}, 372, 907},
		"bearing": {plan.Gear{Bearing: "L44643"}, 1445, 2341},
		"hub":     {plan.Gear{Studs: 4, Circle: m(0.1)}, 630, 900},
		"spring":  {plan.Gear{Leaves: 3, Leaf: m(0.0064), LeafWidth: m(0.045), Eyes: m(0.64)}, 528.6, 822.2},
	} {
		all := gear.Bounds(&c.g, 1.6, 0.28, 2)
		if len(all) != 1 || math.Abs(all[0].Low-c.low) > 0.01*c.low || math.Abs(all[0].High-c.high) > 0.01*c.high {
			t.Errorf("%s: %+v, want %v to %v", name, all, c.low, c.high)
		}
	}
	if all := gear.Bounds(&plan.Gear{Studs: 3, Circle: m(0.1)}, 1.6, 0.28, 2); len(all) != 0 {
		t.Errorf("a pattern that nobody knows: %+v", all)
	}
}

// The sample's axle bears 590 kg: more than the springs' cautious 529, less than their usual 822.
func TestBears(t *testing.T) {
	for told, want := range map[string]finding.Outcome{
		`{"leaves":3,"leaf":0.0064,"leafWidth":0.045,"eyes":0.64}`: finding.Tight,
		`{"leaves":4,"leaf":0.0064,"leafWidth":0.045,"eyes":0.64}`: finding.Tight, // of the rest nothing is taped
		`{"leaves":4,"leaf":0.0064,"leafWidth":0.045,"eyes":0.64,"spindle":0.0349,"bearing":"L68149","studs":5,"circle":0.1143,"seats":1.2,
			"tube":{"shape":"tube","height":0.06,"width":0.06,"wall":0.005,"material":"mild"}}`: finding.Holds,
		`{"leaves":2,"leaf":0.0064,"leafWidth":0.045,"eyes":0.64}`: finding.Fails,
		`{"spindle":0.0254}`: finding.Tight,
		`{"spindle":0.02}`:   finding.Fails, // usually 500
		`{}`:                 finding.Unknown,
		`{"tube":{"shape":"tube","height":0.08,"width":0.08,"wall":0.004,"material":"mild"}}`: finding.Unknown,
	} {
		fs := gear.Check(rig.Resolve(sample.Plan(t, "/trailers/t/gear", told), "t", "o"))
		if f := sample.Find(t, fs, gear.CodeBears); f.Outcome != want || want == finding.Unknown && len(f.Needs) == 0 {
			t.Errorf("%s: %s %v", told, f.Outcome, f.Says)
		}
	}
	// What the tape says never makes more of an axle than its plate: the plate's link stands beside.
	for _, f := range gear.Check(rig.Resolve(sample.Plan(t, "/trailers/t/gear", `{"spindle":0.0445}`), "t", "o")) {
		if f.Essential {
			t.Errorf("%s is essential", f.Code)
		}
	}
}

// 60 × 60 × 4 with 2 mm left: W 15.0 cm³ became 8.5: 57 %.
func TestRust(t *testing.T) {
	for left, want := range map[string]finding.Outcome{"0.002": finding.Fails, "0.0026": finding.Tight, "0.0036": finding.Holds} {
		fs := gear.Check(rig.Resolve(sample.Plan(t, "/trailers/t/gear",
			`{"tube":{"shape":"tube","height":0.06,"width":0.06,"wall":0.004,"material":"mild"},"wallLeft":`+left+`}`), "t", "o"))
		if f := sample.Find(t, fs, gear.CodeRust); f.Outcome != want {
			t.Errorf("%s left: %s %v", left, f.Outcome, f.Figure.Value)
		}
	}
}

func TestSeen(t *testing.T) {
	for word, want := range map[string]finding.Outcome{"bad": finding.Fails, "worn": finding.Tight} {
		fs := gear.Check(rig.Resolve(sample.Plan(t, "/trailers/t/deal", `{"inspected":{"hangers":"`+word+`"}}`), "t", "o"))
		if f := sample.Find(t, fs, gear.CodeSeen); f.Outcome != want {
			t.Errorf("%s: %+v", word, f)
		}
	}
	if fs := gear.Check(rig.Resolve(sample.Plan(t, "/trailers/t/deal", `{"inspected":{"hangers":"good"}}`), "t", "o")); len(fs) > 0 {
		t.Errorf("%v", fs)
	}
}
