package parts

import (
	"zygonos/core/facts/catalogue"
	"zygonos/core/plan"
	"zygonos/core/sums/section"
)

// Densities of floors, kg/m³: softwood plywood 450 to 600 (practice, C), steel.
const (
	plyDensity   = 540.0
	plateDensity = 7850.0
)

// FloorDensity is what a floor's material weighs, kg/m³; false where none is stated that is laid solid.
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

// pattern is what the raised pattern adds to checker plate (practice, C).
const pattern = 1.08

// plateUsual is a checker plate whose thickness is not stated, m (practice, C).
const plateUsual = 0.003

// RubWide is how far a rub rail stands out beside the deck, m.
func RubWide(d *plan.Decking) float64 {
	if d.Rub.Width > 0 {
		return float64(d.Rub.Width)
	}
	return float64(d.Rub.Height)
}

// FloorMore is what rub rails along both sides and the plate on a floor weigh, kg: both lie evenly over the
// deck's length.
func FloorMore(t *plan.Trailer) (kg float64) {
	d := t.Decking
	if d == nil || t.DeckLength == nil || t.DeckWidth == nil {
		return 0
	}
	long, wide := float64(t.DeckLength.Value), float64(t.DeckWidth.Value)
	if d.Rub != (plan.Profile{}) {
		if s, err := section.Of(SizeOf(d.Rub)); err == nil {
			stock, _ := catalogue.StockOf(d.Rub.Material)
			kg += 2 * long * s.Area * stock.Density
		}
	}
	if d.ForkPlate != nil {
		thick := plateUsual
		if d.ForkThick != nil {
			thick = float64(*d.ForkThick)
		}
		kg += long * min(wide, 2*float64(*d.ForkPlate)) * thick * plateDensity * pattern
	}
	return kg
}
