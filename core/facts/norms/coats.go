package norms

import (
	"math"

	"zygonos/core/lang/finding"
)

// Coat is a way to keep steel from rust, with figures of practice where none are entered.
type Coat struct {
	ID      string     `json:"id"`
	Name    string     `json:"name"`
	Coats   int        `json:"coats"`   // usual; of primer and enamel together
	Cover   [2]float64 `json:"cover"`   // m² a litre covers once
	Price   [2]float64 `json:"price"`   // of a litre; of a kilogram dipped
	Recoat  [3]float64 `json:"recoat"`  // h at 20 °C, few, likely, many
	Anew    [2]float64 `json:"anew"`    // years outdoors inland until it is done again; zero: not in ten years
	PerHour [2]float64 `json:"perHour"` // m² of one coat that one does in an hour, little frames with many corners
}

// Coats lists the ways (practice, C: prices vary by place and year and are asked for).
var Coats = []Coat{
	{"dip", "hot-dip zinc", 0, [2]float64{}, [2]float64{1.2, 3}, [3]float64{}, [2]float64{}, [2]float64{}},
	{"pregal", "zinc-coated tube, zinc paint on the welds", 2, [2]float64{6, 10}, [2]float64{20, 45}, [3]float64{1, 2, 8}, [2]float64{3, 6}, [2]float64{3, 6}},
	{"paint", "primer and enamel", 3, [2]float64{8, 12}, [2]float64{12, 30}, [3]float64{6, 12, 24}, [2]float64{3, 6}, [2]float64{3, 6}},
	{"liner", "lining over primer", 2, [2]float64{2, 4}, [2]float64{20, 45}, [3]float64{4, 8, 24}, [2]float64{5, 10}, [2]float64{3, 6}},
	{"bare", "aluminium as it is", 0, [2]float64{}, [2]float64{}, [3]float64{}, [2]float64{}, [2]float64{}},
}

// CoatOf finds a way.
func CoatOf(id string) (Coat, bool) {
	for _, c := range Coats {
		if c.ID == id {
			return c, true
		}
	}
	return Coat{}, false
}

// ZincRate is how much zinc the air takes in a year, m: ISO 9223, categories C2 under a roof, C3 outdoors inland, C4 by the
// sea or on salted roads (confidence A).
func ZincRate(indoors, salt bool) (low, high float64) {
	switch {
	case salt:
		return 2.1e-6, 4.2e-6
	case indoors:
		return 0.1e-6, 0.7e-6
	}
	return 0.7e-6, 2.1e-6
}

// RateSource is where those come from.
var RateSource = finding.Source{Title: "ISO 9223", Clause: "table 2, corrosion rates of zinc", AsOf: AsOf, Confidence: "A"}

// Pregalvanised is the coating of tube sold as Z275, on each side, m (EN 10346: 275 g/m² on both sides; A).
const Pregalvanised = 0.275 / 2 / 7140

// DewPoint is the temperature, °C, at which air of a temperature, °C, and a humidity, 0 to 1, is wet: Magnus' formula with the
// coefficients of the WMO (guide No. 8):
//
//	γ = ln φ + 17.62·T/(243.12 + T),  T_d = 243.12·γ/(17.62 − γ)
//
// ok is false where the air is dry beyond sense or the figures are none.
func DewPoint(air, humid float64) (dew float64, ok bool) {
	if !(humid > 0.001) || humid > 1 || !(air > -45) || !(air < 60) {
		return 0, false
	}
	g := math.Log(humid) + 17.62*air/(243.12+air)
	return 243.12 * g / (17.62 - g), true
}

// OverDew is how much warmer than the dew point steel must be to be painted, K (ISO 8502-4, A).
const OverDew = 3.0

// DewSource is where that comes from.
var DewSource = finding.Source{Title: "ISO 8502-4", Clause: "3 K over the dew point", AsOf: AsOf, Confidence: "A"}

// Slower is how much longer a coat dries at a temperature, °C, than at 20: twice for every ten degrees less (practice, C).
func Slower(air float64) float64 { return math.Pow(2, (20-air)/10) }
