package rig_test

import (
	"testing"

	"zygonos/core/lang/quantity"
	"zygonos/core/plan"
	"zygonos/core/rig"
)

// Where a machine stands, by hand: 2 m long and 1 m wide, its front axle 0.3 m behind its front,
// the wheelbase 1.2, 0.6 between the middles of its rear and 0.4 of its front tyres.
func TestFooting(t *testing.T) {
	m := func(v float64) *plan.LengthEstimate { return &plan.LengthEstimate{Value: quantity.Length(v)} }
	caster := quantity.Length(0.4)
	told := &plan.Rolling{FrontAxle: m(0.3), Wheelbase: m(1.2), Track: m(0.6), FrontTrack: &caster}
	for _, c := range []struct {
		name string
		load *plan.Load
		turn int
		want [4][2]float64 // front left, front right, rear left, rear right
	}{
		{"a box", &plan.Load{}, 0, [4][2]float64{{2, -0.5}, {2, 0.5}, {4, -0.5}, {4, 0.5}}},
		{"nose first", &plan.Load{Rolling: told}, 0, [4][2]float64{{2.3, -0.2}, {2.3, 0.2}, {3.5, -0.3}, {3.5, 0.3}}},
		{"tail first", &plan.Load{Rolling: told}, 180, [4][2]float64{{2.5, -0.3}, {2.5, 0.3}, {3.7, -0.2}, {3.7, 0.2}}},
		// Across, nose to the right: 2 m across, 1 m along, its middle at 2.5 m.
		{"across", &plan.Load{Rolling: told}, 90, [4][2]float64{{2.2, -0.5}, {2.3, 0.7}, {2.8, -0.5}, {2.7, 0.7}}},
		{"across, nose left", &plan.Load{Rolling: told}, 270, [4][2]float64{{2.3, -0.7}, {2.2, 0.5}, {2.7, -0.7}, {2.8, 0.5}}},
		// A road motorcycle as its kind is: 0.33 and 1.43 of 2.15 m, one track.
		{"one track", &plan.Load{Kind: "motorcycle"}, 0, [4][2]float64{{2.33, -0.02}, {2.33, 0.02}, {3.76, -0.02}, {3.76, 0.02}}},
		// Its wheels can stand no wider than it is, and not beyond its ends.
		{"told wrong", &plan.Load{Rolling: &plan.Rolling{FrontAxle: m(1), Wheelbase: m(3), Track: m(4)}}, 0,
			[4][2]float64{{2, -0.5}, {2, 0.5}, {4, -0.5}, {4, 0.5}}},
		{"no track told", &plan.Load{Rolling: &plan.Rolling{FrontAxle: m(0.3), Wheelbase: m(1.2)}}, 0,
			[4][2]float64{{2.3, -0.5}, {2.3, 0.5}, {3.5, -0.5}, {3.5, 0.5}}},
	} {
		it := &rig.Item{Front: 2, Rear: 4, Left: -0.5, Right: 0.5, Bottom: 0.4, Load: c.load, Turn: c.turn}
		if c.turn%180 == 90 {
			it.Rear, it.Left, it.Right = 3, -1, 1
		}
		if it.OneTrack() {
			it.Rear = 4.15
		}
		for k, got := range it.Footing() {
			near(t, c.name, got[0], c.want[k][0])
			near(t, c.name, got[1], c.want[k][1])
			near(t, c.name, got[2], 0.4)
		}
	}
}

// A length that is only guessed moves the middle of what has no stated centre. By hand: a box of 2 m
// from 1.95 m behind the ball on, its middle within a twentieth of it, 0.9 to 1.1, and put within
// 10 mm; guessed within a tenth it may be 1.8 to 2.2 m: 0.9·0.1 and 1.1·0.1 more, less those 10 mm.
func TestGuessedLength(t *testing.T) {
	for _, c := range []struct {
		how       string
		low, high float64
	}{
		{"weighed", 1.95 + 0.9 - 0.01, 1.95 + 1.1 + 0.01},
		{"guessed", 1.95 + 0.9 - 0.08 - 0.01, 1.95 + 1.1 + 0.10 + 0.01},
	} {
		p := base(t, `{"ball":{"mass":20,"plusMinus":0},"axle":{"mass":200,"plusMinus":0}}`,
			`"box":{"order":1,"name":"Box","mass":{"value":100,"plusMinus":0,"how":"weighed"},"size":{"length":{"value":2,"how":"`+c.how+`"}},"centre":{}}`,
			`"placements":{"box":{"on":"deck","at":{"back":0.75}}}`, "")
		r := rig.Resolve(p, "t", "o")
		for _, term := range r.Beam.Terms {
			if term.Path == "/loads/box/mass" {
				near(t, c.how+" low", term.Arm.Low, c.low)
				near(t, c.how+" high", term.Arm.High, c.high)
			}
		}
	}
}
