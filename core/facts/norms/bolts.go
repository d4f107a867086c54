package norms

import (
	"math"

	"zygonos/core/lang/finding"
)

// Bolt is a grade of bolt, Pa.
type Bolt struct {
	ID       string  `json:"id"`
	Name     string  `json:"name"`
	Yield    float64 `json:"yield"`
	Ultimate float64 `json:"ultimate"`
}

// Bolts lists the grades (ISO 898-1, SAE J429; confidence A).
var Bolts = []Bolt{
	{"8.8", "8.8", 640e6, 800e6},
	{"10.9", "10.9", 900e6, 1000e6},
	{"sae2", "SAE 2", 390e6, 510e6},
	{"sae5", "SAE 5", 635e6, 825e6},
	{"sae8", "SAE 8", 895e6, 1035e6},
}

// BoltSource is where bolts' resistances come from.
var BoltSource = finding.Source{Title: "EN 1993-1-8", Clause: "table 3.4", AsOf: AsOf, Confidence: "A"}

// BoltOf finds a grade; an unknown one is taken as SAE 2, the weakest.
func BoltOf(id string) (Bolt, bool) {
	for _, b := range Bolts {
		if b.ID == id {
			return b, true
		}
	}
	return Bolts[2], false
}

// ShearOf is what a bolt of that diameter bears in one shear plane through its
// thread, N: 0.6·f_ub·A_s/1.25 (0.5 for 10.9), with A_s about 0.78 of the shank's area.
func (b *Bolt) ShearOf(diameter float64) float64 {
	k := 0.6
	if b.Ultimate >= 1000e6 {
		k = 0.5
	}
	return k * b.Ultimate * 0.78 * math.Pi / 4 * diameter * diameter / 1.25
}

// TensionOf is what a bolt of that diameter bears along its axis, N: 0.9·f_ub·A_s/1.25.
func (b *Bolt) TensionOf(diameter float64) float64 {
	return 0.9 * b.Ultimate * 0.78 * math.Pi / 4 * diameter * diameter / 1.25
}

// Tightening of dry or lightly oiled bolts (VDI 2230 in short, B).
const (
	nutFactor = 0.2  // K of M = K·d·F
	preload   = 0.64 // of the yield, over the stress area
)

// TorqueOf is the moment, N·m, with which a bolt of a diameter, m, is tightened: K·d·0.64·f_y·A_s, A_s = 0.78·π/4·d².
func (b *Bolt) TorqueOf(diameter float64) float64 {
	return nutFactor * diameter * preload * b.Yield * 0.78 * math.Pi / 4 * diameter * diameter
}
