package norms

import (
	"fmt"
	"math"
)

// Ampacity is what a single thin-wall copper wire in free air bears at 30 °C, A, by its section in mm² (practice,
// C); in a bundle half of it (0.5 to 0.7, C).
var ampacity = [][2]float64{
	{0.5, 11}, {0.75, 14}, {1, 16}, {1.5, 21}, {2.5, 29}, {4, 39}, {6, 50}, {10, 70}, {16, 94}, {25, 124}, {35, 155},
}

// Bundle is what a wire in a bundle bears of that.
const Bundle = 0.5

// Ampacity is what a wire of a section (mm²) bears, A: as the next thinner one of the table; under the
// thinnest in proportion, over the thickest no more than that one.
func Ampacity(mm2 float64) float64 {
	amps := ampacity[0][1] * math.Max(0, mm2) / ampacity[0][0]
	for _, a := range ampacity {
		if mm2 >= a[0]-1e-9 {
			amps = a[1]
		}
	}
	return amps
}

// Section is the thinnest section that is sold and that is no less than so much, mm²; the largest where all are.
func Section(mm2 float64) float64 {
	for _, a := range ampacity[1:] {
		if a[0] >= mm2-1e-9 {
			return a[0]
		}
	}
	return ampacity[len(ampacity)-1][0]
}

// SectionFor is the thinnest section that is sold and bears a current by a share of its ampacity; ok is false
// where none does.
func SectionFor(amps, share float64) (mm2 float64, ok bool) {
	for _, a := range ampacity[1:] {
		if a[1]*share >= amps-1e-9 {
			return a[0], true
		}
	}
	return 0, false
}

// gauges are American wire gauges by their section, mm² (A).
var gauges = []struct {
	number string
	mm2    float64
}{
	{"18", 0.82}, {"16", 1.31}, {"14", 2.08}, {"12", 3.31}, {"10", 5.26}, {"8", 8.37}, {"6", 13.3}, {"4", 21.2}, {"2", 33.6},
}

// Gauge is the American gauge that is as thick as a section (mm²) or thicker, within a twentieth; empty where the
// thickest is thinner.
func Gauge(mm2 float64) string {
	for _, g := range gauges {
		if g.mm2 >= 0.95*mm2 {
			return g.number
		}
	}
	return ""
}

// SectionText is a section in both its names, "2.5 mm² (AWG 12)".
func SectionText(mm2 float64) string {
	if g := Gauge(mm2); g != "" {
		return fmt.Sprintf("%.3g mm² (AWG %s)", mm2, g)
	}
	return fmt.Sprintf("%.3g mm²", mm2)
}

// fuses are blade and strip fuses that are sold, A.
var fuses = []float64{3, 5, 7.5, 10, 15, 20, 25, 30, 40, 50, 60, 80, 100, 125, 150, 175, 200, 225, 250, 300}

// FuseFor is the fuse for a current under a wire: the smallest that is sold of 1.25 times the current and more
// (practice, C), as long as it is no larger than the wire bears; ok is false where there is none.
func FuseFor(amps, bears float64) (fuse float64, ok bool) {
	for _, f := range fuses {
		if f >= 1.25*amps-1e-9 {
			return f, f <= bears+1e-9
		}
	}
	return 0, false
}

// Battery is a kind of battery.
type Battery struct {
	ID      string  `json:"id"`
	Name    string  `json:"name"`
	Usable  float64 `json:"usable"`  // share of its capacity that it lasts with
	Peukert float64 `json:"peukert"` // exponent
	Gases   bool    `json:"gases"`   // as it is charged
	PerK    float64 `json:"perK"`    // share of its capacity that a kelvin under 25 °C takes
	Charge  float64 `json:"charge"`  // V at which it takes a useful current
	Deepest float64 `json:"deepest"` // °C under which it must not be charged
}

// Batteries lists the kinds (practice, C).
var Batteries = []Battery{
	{"lead", "lead-acid", 0.5, 1.25, true, 0.01, 12.8, -20},
	{"agm", "AGM or gel", 0.6, 1.1, false, 0.01, 12.9, -20},
	{"lfp", "lithium iron phosphate", 0.8, 1.03, false, 0.005, 13.4, 0},
}

// BatteryOf finds one.
func BatteryOf(id string) (Battery, bool) {
	for _, b := range Batteries {
		if b.ID == id {
			return b, true
		}
	}
	return Battery{}, false
}

// Lasts is how long a battery of a capacity (A·h, rated over 20 h) gives a current (A) at a temperature (°C), h, to
// the share that it lasts with: Peukert's law
//
//	t = u·20·(C/(20·I))^k
//
// with C less what the cold takes; no longer than u·C/I where the current is under the rated one.
func (b *Battery) Lasts(capacity, amps, celsius float64) float64 {
	c := capacity * math.Max(0.2, 1-b.PerK*math.Max(0, 25-celsius))
	if !(c > 0) || !(amps > 0) {
		return 0
	}
	plain := b.Usable * c / amps
	return math.Min(plain, b.Usable*20*math.Pow(c/(20*amps), b.Peukert))
}
