package sway_test

import (
	"fmt"

	"zygonos/core/ask/sway"
)

// The trailer of docs/method/sway.md behind a car so heavy that it runs straight on.
func ExampleModel_At() {
	m := sway.Model{CarMass: 1e12, CarInertia: 1e12, Front: 1.3, Rear: 1.4, Hitch: 2.4,
		Mass: 700, Inertia: 900, Centre: 2.6, Axle: 2.85, Tyres: 50000}
	mode, ok := m.At(25)
	fmt.Printf("%.4f at %.3f rad/s, %v\n", mode.Damping, mode.Rate, ok)
	// Output: 0.2867 at 5.030 rad/s, true
}
