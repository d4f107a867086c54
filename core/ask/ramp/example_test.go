package ramp_test

import (
	"fmt"
	"math"

	"zygonos/core/ask/ramp"
)

// A body on four wheels rolls over the crest of a ramp of 15°: how far its belly stays above.
func ExampleBody_Clearance() {
	rise := math.Tan(15 * math.Pi / 180)
	path := ramp.Path{{U: -10, Z: 0}, {U: 0, Z: 0}, {U: 0.5 / rise, Z: 0.5}, {U: 10, Z: 0.5}}
	quad := ramp.Body{Base: 1.28, FrontR: 0.3, RearR: 0.3, Before: 0.35, Behind: 0.4, Belly: 0.26, Nose: 0.3, Tail: 0.3}
	least := math.Inf(1)
	for u := -3.0; u < 3; u += 0.01 {
		c, _ := quad.Clearance(path, quad.Stand(path, u, 0))
		least = math.Min(least, c)
	}
	// By hand, wheels as points: 0.26 − 0.64·tan 7.5° = 0.176; their roundness gives a little back.
	fmt.Println(least > 0.176, least < 0.19)
	// Output: true true
}

// A wheel of 600 mm with 200 kg on it against a step of 20 mm.
func ExampleBump() {
	pull, climbs := ramp.Bump(200, 0.3, 0.02)
	fmt.Printf("%.1f kg %v\n", pull, climbs)
	// Output: 76.9 kg true
}
