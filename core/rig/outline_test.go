package rig_test

import (
	"fmt"
	"math"
	"testing"

	"zygonos/core/internal/sample"
	"zygonos/core/lang/scene"
	"zygonos/core/rig"
)

// However a push mower is turned, it is drawn where its front lies: the cutting deck, which is
// all of its body and lies in its front half, is near a centre of mass at its very front, from
// above, from the side and from behind. It is 1.0 m long and 0.8 m wide.
func TestOutlineTurns(t *testing.T) {
	for _, turn := range []int{0, 90, 180, 270} {
		p := sample.Plan(
			t,
			"/loads/crate/kind",
			`"mower-walk"`,
			"/loads/crate/centre/back/value",
			`0.001`,
			sample.Crate+"/turn",
			fmt.Sprint(turn),
		)
		r := rig.Resolve(p, "t", "o")
		it := &r.Items[0]
		views := r.Views()
		tip := func(view int, near scene.Point) float64 {
			best := math.Inf(1)
			for _, s := range views[view].Shapes {
				if s.Class != "load" {
					continue
				}
				for _, q := range s.Points {
					best = min(best, math.Hypot(q[0]-near[0], q[1]-near[1]))
				}
			}
			return best
		}
		if d := tip(1, scene.Point{it.X, it.Y}); d > 0.35 { // a corner of the deck, 0.32 m aside
			t.Errorf("turned %d, from above: the deck is drawn %.3f m off its front", turn, d)
		}
		up := -(it.Bottom + 0.2*(it.Top-it.Bottom))
		view, x := 0, it.X
		if turn%180 != 0 {
			view, x = 2, it.Y
		}
		if d := tip(view, scene.Point{x, up}); d > 0.06 {
			t.Errorf("turned %d: the deck is drawn %.3f m off its front", turn, d)
		}
	}
}

// The car's tail is drawn for every body, within the view and behind no ball.
func TestCarTails(t *testing.T) {
	for _, body := range []string{"", "hatch", "estate", "tall", "pickup", "van"} {
		v := rig.Resolve(sample.Plan(t, "/towVehicles/car/body", `"`+body+`"`), "t", "o").Views()[0]
		n := 0
		for _, s := range v.Shapes {
			if s.Class != "car" && s.Class != "car-glass" {
				continue
			}
			n++
			for _, q := range s.Points {
				if q[0] < v.Min[0]-1e-9 || q[0] > 0 || q[1] < v.Min[1] || q[1] > 0 {
					t.Errorf("%q: %s at %v", body, s.Class, q)
				}
			}
		}
		if n == 0 {
			t.Errorf("%q: no car", body)
		}
	}
}
