package beam_test

import (
	"fmt"

	"zygonos/core/sums/beam"
)

// 100 N in the middle of 2 m: P·l/4 = 50 N·m.
func ExampleBeam_Solve() {
	b := beam.Beam{Length: 2, Stiffness: 1000, Supports: []beam.Support{{At: 0}, {At: 2}}, Loads: []beam.Load{{At: 1, Force: 100}}}
	r, err := b.Solve()
	fmt.Printf("%.0f N and %.0f N, %.0f N·m at %.1f m, %v\n", r.Reactions[0], r.Reactions[1], r.Moment, r.MomentAt, err)
	// Output: 50 N and 50 N, 50 N·m at 1.0 m, <nil>
}
