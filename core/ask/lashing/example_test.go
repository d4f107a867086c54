package lashing_test

import (
	"fmt"

	"zygonos/core/ask/lashing"
	"zygonos/core/facts/norms"
	"zygonos/core/rig"
)

// A crate of 100 kg on friction 0.4, held by one strap that pulls straight back with up to
// 50 kg: it stays to 0.4 + 0.5 g.
func ExampleHold() {
	crate := &rig.Item{Front: 2, Rear: 3, Left: -0.4, Right: 0.4, Bottom: 0.5, Top: 1.1}
	back := lashing.End{Hold: lashing.Vector{3, 0, 0.5}, Point: lashing.Vector{4, 0, 0.5}, Along: lashing.Vector{1, 0, 0}}
	load := &lashing.Load{Item: crate, Mass: 100, Centre: lashing.Vector{2.5, 0, 0.6}, Grip: norms.Grip{Low: 0.4, High: 0.4},
		Ties: []lashing.Tie{{Limit: 50, Pull: 10, Ends: []lashing.End{back}}}}
	held, err := lashing.Hold(load, lashing.Vector{-1, 0, 0}, 0.4)
	fmt.Printf("%.2f g, %s, %v\n", held.G, held.Gives, err)
	// Output: 0.90 g, strap, <nil>
}
