package section_test

import (
	"fmt"

	"zygonos/core/sums/section"
)

// A square tube 50 × 50 × 3 as EN 10219-2 lists it: 5.41 cm², 19.5 cm⁴, 7.79 cm³.
func ExampleOf() {
	p, err := section.Of(section.Size{Shape: section.Tube, H: 0.050, B: 0.050, T: 0.003})
	fmt.Printf("%.2f cm² %.1f cm⁴ %.2f cm³ %v\n", p.Area*1e4, p.Iy*1e8, p.Wy*1e6, err)
	_, err = section.Of(section.Size{Shape: section.Tube, H: 0.050, B: 0.050, T: 0.030})
	fmt.Println(err)
	// Output:
	// 5.41 cm² 19.5 cm⁴ 7.79 cm³ <nil>
	// the walls are thicker than half the section
}
