package norms

// Ground is what a car, a tractor or a mower stands on: the friction of its tyres, and the rolling
// resistance, a share of the weight (practice, C).
type Ground struct {
	ID      string  `json:"id"`
	Name    string  `json:"name"`
	Low     float64 `json:"low"`
	High    float64 `json:"high"`
	Rolling float64 `json:"rolling"` // at its worst
}

// Grounds lists them.
var Grounds = []Ground{
	{"road", "dry road", 0.65, 0.8, 0.02},
	{"road-wet", "wet road", 0.4, 0.6, 0.02},
	{"gravel", "gravel", 0.4, 0.55, 0.05},
	{"grass", "dry grass", 0.35, 0.5, 0.10},
	{"grass-wet", "wet grass", 0.2, 0.3, 0.12},
	{"mud", "mud", 0.1, 0.25, 0.20},
	{"concrete-wet", "wet concrete", 0.4, 0.55, 0.02},
	{"slip", "slip with weed on it", 0.15, 0.3, 0.02},
}

// GroundOf finds one.
func GroundOf(id string) (Ground, bool) {
	for _, g := range Grounds {
		if g.ID == id {
			return g, true
		}
	}
	return Ground{}, false
}

// Soil is what feet stand on, with the pressure that it bears, Pa (presumed bearing of soils near
// the surface; practice, C).
type Soil struct {
	ID    string  `json:"id"`
	Name  string  `json:"name"`
	Bears float64 `json:"bears"`
}

// Soils lists them.
var Soils = []Soil{
	{"concrete", "concrete or paving", 2e6},
	{"gravel", "firm gravel", 200e3},
	{"asphalt", "asphalt on a hot day", 300e3},
	{"turf", "firm turf", 100e3},
	{"sand", "loose sand", 60e3},
	{"turf-wet", "wet turf", 40e3},
	{"mud", "mud", 15e3},
}

// SoilOf finds one.
func SoilOf(id string) (Soil, bool) {
	for _, s := range Soils {
		if s.ID == id {
			return s, true
		}
	}
	return Soil{}, false
}
