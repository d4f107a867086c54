package norms

import "math"

// Hot-dip galvanising: EN ISO 1461 for the coating, guidance to EN ISO 14713-2 for vents and drains.
var (
	ZincSource = source("EN ISO 1461", "table 3, mean coating on steel that is not centrifuged", "A")
	VentSource = source("Guidance to EN ISO 14713-2", "vents and drains of hollow sections", "B")
)

// ZincOften is how many times the least coating is usually found (practice, C).
const ZincOften = 1.2

// Zinc is the least mean coating of a steel of a thickness (m), kg/m².
func Zinc(thick float64) float64 {
	switch {
	case thick > 0.006:
		return 0.610
	case thick >= 0.003-1e-9:
		return 0.505
	case thick >= 0.0015-1e-9:
		return 0.395
	}
	return 0.325
}

// vents are the least hole diameters in mm for one, two and four holes at an end, by the size of a square
// section; zero where so many are of no use.
var vents = []struct {
	size           float64
	one, two, four float64
}{
	{20, 10, 0, 0}, {30, 12, 10, 0}, {40, 14, 12, 0}, {50, 16, 12, 10}, {60, 20, 12, 10},
	{80, 20, 16, 12}, {100, 25, 20, 12}, {120, 30, 25, 20}, {160, 40, 25, 20},
}

// Vent is the least diameter, m, of each of so many vents at an end of a closed section of a size (m; a
// rectangle's half sum of height and width, a round tube's diameter). A size between two takes the larger
// one's, one beyond the table grows with it; ok is false where nothing is stated for so many.
func Vent(size float64, holes int) (diameter float64, ok bool) {
	row := vents[len(vents)-1]
	grow := math.Max(1, size*1000/row.size)
	for _, v := range vents {
		if size*1000 <= v.size+1e-6 {
			row, grow = v, 1
			break
		}
	}
	switch {
	case holes >= 4 && row.four > 0:
		diameter = row.four
	case holes >= 2 && row.two > 0:
		diameter = row.two
	case holes >= 1:
		diameter = row.one
	}
	return diameter * grow / 1000, diameter > 0
}

// Overlap is the area of two faces that lie on each other, welded all round, from which they need a vent of
// their own, m² (guidance to EN ISO 14713-2, B).
const Overlap = 0.010
