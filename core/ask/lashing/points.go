package lashing

import (
	"math"

	"zygonos/core/facts/catalogue"
	"zygonos/core/facts/norms"
	"zygonos/core/lang/quantity"
	"zygonos/core/plan"
)

// PointHold is what a tie point takes, kg, at the low and the high end, and what gives
// first.
type PointHold struct {
	Low, High float64
	Gives     string
	Guess     bool // no plate tells it
}

// Shares of a resistance that count as working load limit (practice, C).
const (
	workBolt  = 2.0
	workPlate = 1.5
	workPly   = 3.0
)

// Strengths at their low and their high end: steel's yield, plywood's shear and bending
// strength, Pa, and its density, kg/m³ (C).
var (
	steelYield = [2]float64{235e6, 355e6}
	plyShear   = [2]float64{3.5e6, 9e6}
	plyBends   = [2]float64{20e6, 40e6}
	plyWeighs  = [2]float64{450, 650}
)

// HoldOf is what a tie point takes of a pull that leans so far from upright, rad: its
// plate's number; else the least of what its kind usually takes, its bolts and what they
// are bolted to. An eye bolt with a shoulder keeps 30 % of all at 45° or more; one without takes nothing that
// leans. Where nobody said whether it has one, the low end is that of one without.
func HoldOf(t plan.TiePoint, lean float64) PointHold {
	low, high := 1.0, 1.0
	if t.Kind == "eye-bolt" {
		low, high = eyeKeeps(t.Shoulder, lean)
	}
	kind, _ := catalogue.AnchorOf(t.Kind)
	if t.Rating != nil {
		v := float64(*t.Rating)
		if low == 0 {
			return PointHold{0, v * high, kind.Weak, high > 0}
		}
		return PointHold{v * low, v * high, "its plate", false}
	}
	usual := norms.TieHold[t.Kind]
	h := PointHold{usual.Low * low, usual.High * high, kind.Weak, true}
	f := t.Fastening
	if f == nil || f.Bolt <= 0 {
		return h
	}
	sin, cos := math.Sin(lean), math.Max(1e-6, math.Cos(lean))
	n := float64(max(1, f.Bolts))
	take := func(low, high float64, gives string) {
		low, high = low/quantity.Gravity, high/quantity.Gravity
		if low < h.Low {
			h.Low, h.Gives = low, gives
		}
		h.High = math.Min(h.High, high)
	}
	grade, known := norms.BoltOf(f.Grade)
	bolt := boltHolds(&grade, float64(f.Bolt), sin, cos) * n / workBolt
	strong := bolt
	if !known {
		best := norms.Bolts[1]
		strong = boltHolds(&best, float64(f.Bolt), sin, cos) * n / workBolt
	}
	take(bolt, strong, "the bolts")
	thick, washer := float64(f.Thick), float64(f.Washer)
	if thick <= 0 {
		return h
	}
	if washer <= 0 {
		washer = 2 * float64(f.Bolt)
	}
	switch f.In {
	case plan.InPly:
		var ends [2]float64
		for i := range ends {
			through, aside := plyHolds(thick, washer, float64(f.Bolt), i)
			ends[i] = math.Min(through/cos, n*aside/math.Max(1e-6, sin)) / workPly
		}
		take(ends[0], ends[1], "the plywood")
	case plan.InPlate:
		// A plate that carries a load in its middle yields along lines at 2π·m, m = f_y·t²/4.
		take(
			2*math.Pi*steelYield[0]*thick*thick/4/cos/workPlate,
			2*math.Pi*steelYield[1]*thick*thick/4/cos/workPlate,
			"the plate bends",
		)
	}
	return h
}

// inLine is how far a pull may lean off the shank of an eye bolt and still be in line with it, rad.
const inLine = 5 * math.Pi / 180

// eyeKeeps is the share of its rating that an eye bolt keeps of a pull that leans so far off its shank, at the low and
// the high end: with a shoulder falling to 0.3 at 45°, without one nothing that is not in line (ASME B30.26 and makers'
// tables, B); nil is not known.
func eyeKeeps(shoulder *bool, lean float64) (low, high float64) {
	high = 1 - 0.7*math.Min(1, lean/(math.Pi/4))
	switch {
	case lean <= inLine || shoulder != nil && *shoulder:
		return high, high
	case shoulder != nil:
		return 0, 0
	}
	return 0, high
}

// boltHolds is a bolt's resistance to a pull that leans, N: shear and tension together,
// F·sin/V + F·cos/(1.4·T) ≤ 1 and F·cos ≤ T (EN 1993-1-8 table 3.4).
func boltHolds(b *norms.Bolt, diameter, sin, cos float64) float64 {
	v, t := b.ShearOf(diameter), b.TensionOf(diameter)
	return math.Min(1/(sin/v+cos/(1.4*t)), t/cos)
}

// plyHolds is what plywood bears round a washer, N: upward the lesser of punching shear
// π·(d + t)·t·f_v and bending 2π·f_m·t²/6, and along it at the bolt,
// 0.11·(1 − 0.01·d)·ρ·d·t with d in mm (EN 1995-1-1 8.5.1.1).
func plyHolds(thick, washer, bolt float64, end int) (through, aside float64) {
	punch := math.Pi * (washer + thick) * thick * plyShear[end]
	bends := 2 * math.Pi * plyBends[end] * thick * thick / 6
	bears := 0.11 * (1 - 0.01*bolt*1000) * plyWeighs[end] * 1e6
	return math.Min(punch, bends), math.Max(0, bears) * bolt * thick
}
