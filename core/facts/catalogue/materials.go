package catalogue

import "zygonos/core/lang/finding"

// Material is something loose: its density when dry and when wet, kg/m³, and
// its angle of repose, degrees. Where sources differ the range holds them all.
type Material struct {
	ID         string  `json:"id"`
	Name       string  `json:"name"`
	DryLow     float64 `json:"dryLow"`
	DryHigh    float64 `json:"dryHigh"`
	WetLow     float64 `json:"wetLow"`
	WetHigh    float64 `json:"wetHigh"`
	ReposeLow  float64 `json:"reposeLow"`
	ReposeHigh float64 `json:"reposeHigh"`
}

// Density is the range from dry to wet, kg/m³.
func (m *Material) Density() (low, high float64) {
	return min(m.DryLow, m.WetLow), max(m.DryHigh, m.WetHigh)
}

// MaterialSource is where densities and angles of repose come from.
var MaterialSource = finding.Source{Title: "Loose bulk density and angle of repose, compiled from trade tables", Clause: "dry to wet", AsOf: "2026", Confidence: "C"}

// Materials lists loose materials.
var Materials = []Material{
	{"sand", "sand", 1450, 1650, 1800, 2100, 30, 45},
	{"gravel", "gravel", 1500, 1700, 1700, 2000, 30, 40},
	{"crushed-stone", "crushed stone", 1450, 1700, 1600, 1900, 35, 45},
	{"topsoil", "topsoil", 1000, 1300, 1500, 1900, 30, 45},
	{"clay", "clay soil", 1100, 1400, 1700, 2000, 30, 45},
	{"compost", "compost", 450, 700, 700, 1000, 40, 45},
	{"bark", "bark mulch", 180, 300, 350, 550, 40, 50},
	{"chips", "wood chips, green", 300, 450, 300, 450, 40, 45},
	{"firewood-dry", "firewood, softwood, stacked dry", 300, 400, 300, 400, 35, 45},
	{"firewood-fresh", "firewood, hardwood, fresh", 600, 750, 600, 750, 35, 45},
	{"straw", "straw bales", 100, 140, 100, 140, 45, 60},
	{"green-waste", "green waste, loose", 80, 250, 80, 250, 40, 60},
	{"clear-out", "household clear-out", 80, 200, 80, 200, 40, 60},
	{"rubble", "broken concrete or brick", 1200, 1600, 1200, 1600, 35, 40},
	{"asphalt", "asphalt lumps", 1300, 1600, 1300, 1600, 35, 45},
}

// MaterialOf finds a loose material.
func MaterialOf(id string) (Material, bool) {
	for _, m := range Materials {
		if m.ID == id {
			return m, true
		}
	}
	return Material{}, false
}

// Substance is a fluid or a solid with its density, kg/m³.
type Substance struct {
	ID   string  `json:"id"`
	Name string  `json:"name"`
	Low  float64 `json:"low"`
	High float64 `json:"high"`
}

// Fluids lists what tanks hold; at ordinary temperatures.
var Fluids = []Substance{
	{"water", "water", 997, 1000},
	{"diesel", "diesel", 830, 850},
	{"petrol", "petrol", 720, 760},
	{"milk", "milk", 1027, 1035},
	{"spray", "spray mix or liquid feed", 1000, 1300},
}

// Solids lists what sheets and boards are made of. Aluminium and steel follow
// EN 1993-1-1 and EN 1999-1-1, the rest common trade figures.
var Solids = []Substance{
	{"plywood", "plywood", 550, 700},
	{"chipboard", "chipboard or OSB", 600, 720},
	{"mdf", "fibreboard", 650, 800},
	{"plasterboard", "plasterboard", 650, 900},
	{"softwood", "softwood, air-dry", 400, 550},
	{"softwood-wet", "softwood, pressure-treated or wet", 550, 800},
	{"hardwood", "hardwood, air-dry", 600, 850},
	{"steel", "steel", 7850, 7850},
	{"aluminium", "aluminium", 2700, 2700},
	{"glass", "glass", 2500, 2500},
	{"acrylic", "acrylic or polycarbonate", 1180, 1220},
}

// FluidOf finds a fluid.
func FluidOf(id string) (Substance, bool) { return substance(Fluids, id) }

// SolidOf finds a solid.
func SolidOf(id string) (Substance, bool) { return substance(Solids, id) }

func substance(list []Substance, id string) (Substance, bool) {
	for _, s := range list {
		if s.ID == id {
			return s, true
		}
	}
	return Substance{}, false
}
