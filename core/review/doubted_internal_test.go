package review

import (
	"fmt"
	"testing"

	"zygonos/core/plan"
)

// What somebody stated is looked at whatever the loads' kinds tell beside it, and of those some in any case.
func TestToldGuessesAreLookedAt(t *testing.T) {
	for _, hulls := range []int{0, 3, 40} {
		for _, told := range []int{1, 40} {
			p := &plan.Plan{Loads: map[string]plan.Load{}}
			for i := range hulls {
				p.Loads[fmt.Sprintf("a%d", i)] = plan.Load{Kind: "kayak"}
			}
			for i := range told { // a guessed length is within a tenth, a hull of no stated one within three twentieths
				p.Loads[fmt.Sprintf("z%d", i)] = plan.Load{
					Size: plan.Size{Length: &plan.LengthEstimate{Value: 2, How: plan.Guessed}},
				}
			}
			n, taken := 0, 0
			for _, g := range (&doubts{within: func(string) bool { return true }}).of(p) {
				if n++; g.Taken {
					taken++
				}
			}
			if want := min(told, mostDoubted); n-taken != want {
				t.Errorf("%d hulls: %d of %d told", hulls, n-taken, told)
			}
			if want := min(3*hulls, max(leastTaken, mostDoubted-min(told, mostDoubted))); taken != want {
				t.Errorf("%d hulls beside %d told: %d taken, not %d", hulls, told, taken, want)
			}
		}
	}
}
