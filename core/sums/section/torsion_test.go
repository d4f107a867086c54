package section_test

import (
	"math"
	"testing"

	"zygonos/core/sums/section"
)

// Tubes by the tables of EN 10219-2 (cold formed), cm⁴ and cm³; a round tube 48.3 × 3.2 by the same; a
// flat 50 × 10 and a square 40 by Timoshenko's series, It = β·a·b³ with β 0.291 and 0.1406 for sides of
// 5 : 1 and 1 : 1, and Wt = α·a·b² with α 0.291 and 0.208; a channel 80 × 40 × 4 and an angle
// 50 × 50 × 5 by hand: (80 + 36 + 36)·64/3 = 3243 mm⁴, (50 + 45)·125/3 = 3958 mm⁴.
func TestTorsion(t *testing.T) {
	const cm3, cm4 = 1e-6, 1e-8
	for _, c := range []struct {
		name   string
		s      section.Size
		it, wt float64
		within float64
	}{
		{"80 × 80 × 4", section.Size{Shape: section.Tube, H: .08, B: .08, T: .004}, 180 * cm4, 41.8 * cm3, 0.004},
		{"100 × 50 × 4", section.Size{Shape: section.Tube, H: .1, B: .05, T: .004}, 113 * cm4, 31.4 * cm3, 0.006},
		{"40 × 40 × 3", section.Size{Shape: section.Tube, H: .04, B: .04, T: .003}, 15.8 * cm4, 7.07 * cm3, 0.006},
		{"48.3 × 3.2", section.Size{Shape: section.Round, H: .0483, T: .0032}, 23.2 * cm4, 9.59 * cm3, 0.004},
		{"flat", section.Size{Shape: section.Bar, H: .05, B: .01}, 0.291 * .05 * 1e-6, 0.291 * .05 * 1e-4, 0.003},
		{"square", section.Size{Shape: section.Bar, H: .04, B: .04}, 0.1406 * math.Pow(.04, 4), 0.208 * math.Pow(.04, 3), 0.004},
		{"channel", section.Size{Shape: section.Channel, H: .08, B: .04, T: .004}, 3242.667e-12, 810.667e-9, 1e-5},
		{"angle", section.Size{Shape: section.Angle, H: .05, B: .05, T: .005}, 3958.333e-12, 791.667e-9, 1e-5},
	} {
		got, err := section.TorsionOf(c.s)
		if err != nil {
			t.Fatal(c.name, err)
		}
		if math.Abs(got.It/c.it-1) > c.within || math.Abs(got.Wt/c.wt-1) > c.within {
			t.Errorf("%s: It %.4g, want %.4g; Wt %.4g, want %.4g", c.name, got.It, c.it, got.Wt, c.wt)
		}
	}
	if _, err := section.TorsionOf(section.Size{Shape: section.Tube, H: .04, B: .04, T: .03}); err == nil {
		t.Error("a wall thicker than half the tube twists")
	}
}

// An open tube is far softer than a closed one of the same walls.
func TestOpenIsSoft(t *testing.T) {
	closed, _ := section.TorsionOf(section.Size{Shape: section.Tube, H: .06, B: .06, T: .003})
	open, _ := section.TorsionOf(section.Size{Shape: section.Channel, H: .06, B: .06, T: .003})
	if closed.Open || !open.Open || closed.It < 100*open.It {
		t.Errorf("closed %v, open %v", closed, open)
	}
}
