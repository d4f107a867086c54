package norms

import (
	"math"

	"zygonos/core/lang/finding"
)

// Thread is a metric or inch thread with what goes with it, m.
type Thread struct {
	Name     string
	Diameter float64
	Pitch    float64 // ISO 261; UNC for inches
	Nut      float64 // height of a locking nut with an insert, ISO 7040; ASME B18.16.6 for inches
	Washer   float64 // its thickness, ISO 7089; USS for inches
	Flats    float64 // width across flats, ISO 272; ASME B18.2.1 for inches
	Hole     float64 // clearance hole, medium fit, ISO 273; ASME B18.2.8 for inches
	Inch     bool
}

const inchIs = 0.0254

// Threads lists those that trailers are bolted with, thinnest first (confidence A; inch nuts and washers B).
var Threads = []Thread{
	{"M5", 0.005, 0.8e-3, 6.8e-3, 1e-3, 8e-3, 5.5e-3, false},
	{"M6", 0.006, 1e-3, 8e-3, 1.6e-3, 10e-3, 6.6e-3, false},
	{"1/4 in", inchIs / 4, inchIs / 20, 8e-3, 1.7e-3, inchIs * 7 / 16, inchIs * 9 / 32, true},
	{"5/16 in", inchIs * 5 / 16, inchIs / 18, 9.5e-3, 2.1e-3, inchIs / 2, inchIs * 11 / 32, true},
	{"M8", 0.008, 1.25e-3, 9.5e-3, 1.6e-3, 13e-3, 9e-3, false},
	{"3/8 in", inchIs * 3 / 8, inchIs / 16, 11.9e-3, 2.1e-3, inchIs * 9 / 16, inchIs * 13 / 32, true},
	{"M10", 0.010, 1.5e-3, 11.9e-3, 2e-3, 16e-3, 11e-3, false},
	{"7/16 in", inchIs * 7 / 16, inchIs / 14, 12.5e-3, 2.1e-3, inchIs * 5 / 8, inchIs * 15 / 32, true},
	{"M12", 0.012, 1.75e-3, 14.9e-3, 2.5e-3, 18e-3, 13.5e-3, false},
	{"1/2 in", inchIs / 2, inchIs / 13, 15.9e-3, 2.8e-3, inchIs * 3 / 4, inchIs * 9 / 16, true},
	{"M14", 0.014, 2e-3, 17e-3, 2.5e-3, 21e-3, 15.5e-3, false},
	{"5/8 in", inchIs * 5 / 8, inchIs / 11, 19.8e-3, 3.4e-3, inchIs * 15 / 16, inchIs * 11 / 16, true},
	{"M16", 0.016, 2e-3, 19.1e-3, 3e-3, 24e-3, 17.5e-3, false},
	{"M20", 0.020, 2.5e-3, 22.8e-3, 3e-3, 30e-3, 22e-3, false},
}

// ThreadSource is where threads come from.
var ThreadSource = finding.Source{
	Title: "ISO 261, 272, 273, 7040, 7089; ASME B18", AsOf: AsOf, Confidence: "A",
}

// ThreadOf finds the thread of a bolt's diameter, m, within a quarter of a millimetre; ok is false where there is none.
func ThreadOf(diameter float64) (t Thread, ok bool) {
	best := 0.25e-3
	for _, x := range Threads {
		if off := math.Abs(x.Diameter - diameter); off < best {
			t, best, ok = x, off, true
		}
	}
	return t, ok
}

// boltLengths are lengths that are sold, m (ISO 4014, 4017).
var boltLengths = []float64{
	0.016, 0.020, 0.025, 0.030, 0.035, 0.040, 0.045, 0.050, 0.055, 0.060, 0.065, 0.070, 0.080, 0.090, 0.100, 0.110, 0.120,
	0.130, 0.140, 0.150, 0.160, 0.180, 0.200, 0.220, 0.240,
}

// BoltLength is the shortest length that is sold for a grip, m: grip, two washers, nut and two threads that stand out. ok is
// false where none is long enough.
func (t *Thread) BoltLength(grip float64) (length float64, ok bool) {
	least := grip + 2*t.Washer + t.Nut + 2*t.Pitch
	if t.Inch { // by the quarter inch, from half an inch to ten
		l := math.Max(0.5, math.Ceil(least/inchIs*4-1e-6)/4)
		return l * inchIs, l <= 10
	}
	for _, l := range boltLengths {
		if l >= least-1e-9 {
			return l, true
		}
	}
	return 0, false
}
