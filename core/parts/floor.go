package parts

import (
	"zygonos/core/facts/catalogue"
	"zygonos/core/plan"
)

// Densities of floors, kg/m³: softwood plywood 450 to 600 (practice, C), steel.
const (
	plyDensity   = 540.0
	plateDensity = 7850.0
)

// FloorDensity is what a floor's material weighs, kg/m³; false where it is told of none that is laid solid.
func FloorDensity(t *plan.Trailer) (density float64, ok bool) {
	switch t.Floor {
	case plan.FloorPly:
		return plyDensity, true
	case plan.FloorPlate:
		return plateDensity, true
	case plan.FloorBoards:
		grade := t.FloorGrade
		if grade == "" {
			grade = "c16"
		}
		s, known := catalogue.StockOf(grade)
		return s.Density, known
	}
	return 0, false
}
