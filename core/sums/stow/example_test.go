package stow_test

import (
	"fmt"

	"zygonos/core/sums/stow"
)

// One box of 100 kg on a deck of 2 m whose middle is wanted 1.1 m behind the front.
func ExampleProblem_Search() {
	p := stow.Problem{Length: 2, Width: 1, Grid: 0.05, Low: 50, High: 150, Aim: 110, MostSide: 50, Centre: 1.1,
		Steps: stow.Steps{Own: 0.1, Side: 0.1, Along: 0.1},
		Boxes: []stow.Box{{Length: 0.4, Width: 0.4, Mass: 100, CentreBack: 0.2, Turns: []int{0}}}}
	r := p.Search(10_000, nil, nil)
	fmt.Printf("%.2f m behind the board, proven %v\n", r.Places[0].Back, r.Proven)
	// Output: 0.90 m behind the board, proven true
}
