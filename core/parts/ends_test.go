package parts_test

import (
	"math"
	"testing"

	"zygonos/core/parts"
	"zygonos/core/plan"
)

const degree = math.Pi / 180

// By hand, tubes of 50 × 50. What comes square against a side, or lies under another, is cut square. A brace
// at 45° closes on the rail's face at 45°, its long point 25·tan 45° over its middle. Two that end in one
// corner share its angle: 45° of a right one. A bar that falls 1 in 4 against an upright face is tilted
// atan ¼ = 14.04°. Against a round tube of 60 it is coped: 30 − √(30² − 25²) = 13.4 mm deep.
func TestFrameEnds(t *testing.T) {
	sq := tube(.05, .05, .003)
	round := plan.Profile{Shape: "round", Height: .06, Wall: .003, Material: "s235"}
	rail := member(1, sq, [3]float64{0, .6, 0}, [3]float64{2, .6, 0}) // its left face at 0.575
	for _, c := range []struct {
		name              string
		a, b              plan.Member
		end               int
		flat, rise, extra float64 // degrees, mm
		coped             bool
	}{
		{"square against a side", member(2, sq, [3]float64{1, -.5, 0}, [3]float64{1, .575, 0}), rail, 1, 0, 0, 0, false},
		{"under it", member(2, sq, [3]float64{1, -.5, -.05}, [3]float64{1, .62, -.05}), rail, 1, 0, 0, 0, false},
		{"brace", member(2, sq, [3]float64{.2, .0, 0}, [3]float64{.775, .575, 0}), rail, 1, 45, 0, 25, false},
		{"corner", member(2, sq, [3]float64{2, -.6, 0}, [3]float64{2, .6, 0}), rail, 1, 45, 0, 25, false},
		{"falling", member(2, sq, [3]float64{1, .175, .1}, [3]float64{1, .575, 0}), rail, 1, 0, 14.036, 6.25, false},
		{
			"round", member(2, sq, [3]float64{1, -.5, 0}, [3]float64{1, .57, 0}),
			member(1, round, [3]float64{0, .6, .005}, [3]float64{2, .6, .005}), 1, 0, 0, 13.42, true,
		},
	} {
		f := &plan.Frame{Members: map[string]plan.Member{"a": c.b, "b": c.a}}
		bars := parts.FrameBars(f)
		touches := parts.FrameTouches(bars)
		if len(touches) == 0 {
			t.Errorf("%s: they do not touch", c.name)
			continue
		}
		e := parts.FrameEnds(bars, touches)[1][c.end]
		if math.Abs(math.Abs(e.Flat)-c.flat*degree) > 1e-3 || math.Abs(math.Abs(e.Rise)-c.rise*degree) > 1e-3 ||
			math.Abs(e.Extra*1000-c.extra) > 0.05 || (e.Round > 0) != c.coped {
			t.Errorf("%s: turned %.2f°, tilted %.2f°, long by %.2f mm, round %v", c.name, e.Flat/degree, e.Rise/degree, e.Extra*1000, e.Round)
		}
		if free := parts.FrameEnds(bars, touches)[1][1-c.end]; free.Meets != -1 || !free.Square() {
			t.Errorf("%s: its free end %+v", c.name, free)
		}
	}
}

// Mirrored braces are one piece, cut twice, and the pieces weigh what the members do; a hole makes a piece of
// its own.
func TestPiecesAlike(t *testing.T) {
	f := ladder()
	sq := tube(.04, .04, .003)
	f.Members["x"] = member(20, sq, [3]float64{.1, -.13, 0}, [3]float64{.5, -.53, 0})
	f.Members["y"] = member(21, sq, [3]float64{.1, .13, 0}, [3]float64{.5, .53, 0})
	count := func() (of int, mass float64, n int) {
		ps := parts.FramePieces(parts.FrameBars(f))
		for _, p := range ps {
			mass += p.Each * float64(len(p.Members))
			for _, m := range p.Members {
				if m == "x" {
					of = len(p.Members)
					if math.Abs(p.Overall-p.Length-.02) > 1e-4 { // 20·tan 45° at the rail; free before it
						t.Errorf("%v overall, %v in its middle", p.Overall, p.Length)
					}
				}
			}
		}
		return of, mass, len(ps)
	}
	of, mass, n := count()
	if want, _ := parts.FrameMass(f); of != 2 || math.Abs(mass-want) > 1e-9 {
		t.Errorf("%d alike, %v kg of %v", of, mass, want)
	}
	y := f.Members["y"]
	y.Cuts = map[string]plan.MemberCut{"h": {Order: 1, What: plan.CutHole, At: .2, Size: .01}}
	f.Members["y"] = y
	if of, _, more := count(); of != 1 || more != n+1 {
		t.Errorf("with a hole %d alike, %d pieces of %d", of, more, n)
	}
	marks := parts.Marks(parts.FrameBars(f))
	seen := map[string]bool{}
	for _, m := range marks {
		if seen[m] {
			t.Errorf("%s twice", m)
		}
		seen[m] = true
	}
}
