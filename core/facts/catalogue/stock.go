package catalogue

import "zygonos/core/lang/quantity"

// Stock is a material that racks and ramps are made of. Strengths are nominal ones
// of the product standards; unknown steel is taken low.
type Stock struct {
	ID      string  `json:"id"`
	Name    string  `json:"name"`
	Yield   float64 `json:"yield"`   // Pa: yield, or bending strength of timber
	Modulus float64 `json:"modulus"` // Pa
	Density float64 `json:"density"` // kg/m³
	Weld    float64 `json:"weld"`    // share of the yield beside a weld; 0: not welded
	Timber  bool    `json:"timber,omitempty"`
	Source  string  `json:"source"`
	Warm    float64 `json:"warm,omitempty"` // share of stiffness and strength that is left in the sun; 0: all
}

// Stocks lists the materials.
var Stocks = []Stock{
	{"s235", "steel S235", 235e6, 210e9, 7850, 1, false, "EN 10025-2", 0},
	{"s275", "steel S275", 275e6, 210e9, 7850, 1, false, "EN 10025-2", 0},
	{"s355", "steel S355", 355e6, 210e9, 7850, 1, false, "EN 10025-2", 0},
	{"a500b", "steel A500 B, rectangular", 315e6, 200e9, 7850, 1, false, "ASTM A500", 0},
	{"mild", "mild steel, unknown", 200e6, 205e9, 7850, 1, false, "practice (C)", 0},
	{"al6061", "aluminium 6061-T6", 240e6, 69e9, 2700, 0.5, false, "EN 755-2", 0},
	{"al6082", "aluminium 6082-T6", 250e6, 70e9, 2700, 0.5, false, "EN 755-2", 0},
	{"c16", "timber C16", 16e6, 8e9, 450, 0, true, "EN 338", 0},
	{"c24", "timber C24", 24e6, 11e9, 500, 0, true, "EN 338", 0},
	// Plastics under load that lasts: the pressure pipe's design stress and creep modulus at 20 °C,
	// and what is left at 45 to 50 °C, as a dark pipe has in the sun (C).
	{"pvc", "plastic pipe, PVC-U", 20e6, 1.75e9, 1400, 0, false, "EN ISO 1452-2 (MRS 25), C", 0.55},
	{"pe", "plastic pipe, PE", 6.3e6, 0.25e9, 950, 0, false, "EN 12201-2 (PE 80), C", 0.6},
}

// Working is the stress that a material is used to at most, Pa: its yield over 1.5, timber's bending
// strength over 2.5 (practice, C).
func (s Stock) Working() float64 {
	if s.Timber {
		return s.Yield / 2.5
	}
	return s.Yield / 1.5
}

// InTheSun is the material with what warmth leaves of it.
func (s Stock) InTheSun() Stock {
	if s.Warm > 0 {
		s.Yield, s.Modulus = s.Yield*s.Warm, s.Modulus*s.Warm
	}
	return s
}

// StockOf finds a material; an unknown one is taken as unknown mild steel.
func StockOf(id string) (Stock, bool) {
	for _, s := range Stocks {
		if s.ID == id {
			return s, true
		}
	}
	return Stocks[4], false
}

// Common is a usual size of stock, mm in its name.
type Common struct {
	Name   string          `json:"name"`
	Shape  string          `json:"shape"`
	Height quantity.Length `json:"height"`
	Width  quantity.Length `json:"width"`
	Wall   quantity.Length `json:"wall"`
	Lip    quantity.Length `json:"lip,omitempty"`
	Timber bool            `json:"timber,omitempty"`

	Plastic bool `json:"plastic,omitempty"`
}

// Of reports whether a size is sold in a material.
func (c *Common) Of(s Stock) bool { return c.Timber == s.Timber && c.Plastic == (s.Warm > 0) }

// Commons are usual sizes, lighter first within a kind.
var Commons = []Common{
	{"30 × 30 × 2", "tube", 0.030, 0.030, 0.002, 0, false, false},
	{"40 × 40 × 2", "tube", 0.040, 0.040, 0.002, 0, false, false},
	{"40 × 40 × 3", "tube", 0.040, 0.040, 0.003, 0, false, false},
	{"50 × 50 × 3", "tube", 0.050, 0.050, 0.003, 0, false, false},
	{"60 × 40 × 3", "tube", 0.060, 0.040, 0.003, 0, false, false},
	{"60 × 60 × 3", "tube", 0.060, 0.060, 0.003, 0, false, false},
	{"80 × 40 × 3", "tube", 0.080, 0.040, 0.003, 0, false, false},
	{"80 × 80 × 4", "tube", 0.080, 0.080, 0.004, 0, false, false},
	{"100 × 50 × 4", "tube", 0.100, 0.050, 0.004, 0, false, false},
	{"100 × 60 × 4", "tube", 0.100, 0.060, 0.004, 0, false, false},
	{"120 × 60 × 4", "tube", 0.120, 0.060, 0.004, 0, false, false},
	{"100 × 100 × 4", "tube", 0.100, 0.100, 0.004, 0, false, false},
	{"33.7 × 3.2 round", "round", 0.0337, 0, 0.0032, 0, false, false},
	{"48.3 × 3.2 round", "round", 0.0483, 0, 0.0032, 0, false, false},
	{"60.3 × 3.2 round", "round", 0.0603, 0, 0.0032, 0, false, false},
	{"75 × 3.6 plastic pipe", "round", 0.075, 0, 0.0036, 0, false, true},
	{"110 × 5.3 plastic pipe", "round", 0.110, 0, 0.0053, 0, false, true},
	{"40 × 40 × 4 angle", "angle", 0.040, 0.040, 0.004, 0, false, false},
	{"50 × 50 × 5 angle", "angle", 0.050, 0.050, 0.005, 0, false, false},
	{"60 × 60 × 6 angle", "angle", 0.060, 0.060, 0.006, 0, false, false},
	{"41 × 41 × 2.5 strut", "strut", 0.041, 0.041, 0.0025, 0.0075, false, false},
	{"45 × 70 timber", "bar", 0.070, 0.045, 0, 0, true, false},
	{"45 × 95 timber", "bar", 0.095, 0.045, 0, 0, true, false},
	{"70 × 70 timber", "bar", 0.070, 0.070, 0, 0, true, false},
	{"95 × 95 timber", "bar", 0.095, 0.095, 0, 0, true, false},
}
