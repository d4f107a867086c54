// Package joint computes what fasteners in timber bear, after EN 1995-1-1:2004 with A1: characteristic
// resistances, N, of one fastener in one shear plane between two pieces of like thickness, and along
// its axis. Formulas: docs/method/joint.md.
package joint

import "math"

// Fastener is a kind of fastener.
type Fastener string

// The fasteners.
const (
	Nail  Fastener = "nail"  // smooth
	Screw Fastener = "screw" // threaded over its point side
	Bolt  Fastener = "bolt"  // through, with washers
)

// Timber is a piece that it goes through: thickness (m) and characteristic density (kg/m³).
type Timber struct {
	Thick   float64
	Density float64
}

// Design turns a characteristic resistance into one to work with: k_mod 0.9 for short loads over γ_M 1.3
// (EN 1995-1-1 tables 2.3 and 3.1), a share.
const Design = 0.9 / 1.3

// Embedding is the embedding strength, Pa, for a diameter d (m): 0.082·ρ·d^−0.3 of nails and thin screws
// (8.3.1.1), 0.082·(1 − 0.01·d)·ρ across the grain over 1.35 + 0.015·d of bolts and screws from 6 mm
// (8.5.1.1), d in mm.
func Embedding(of Fastener, d, density float64) float64 {
	mm := d * 1000
	if of == Nail || of == Screw && mm < 6 {
		return 0.082 * density * math.Pow(mm, -0.3) * 1e6
	}
	return 0.082 * (1 - 0.01*mm) * density / (1.35 + 0.015*mm) * 1e6
}

// Yield is the yield moment, N·m: 0.3·f_u·d^2.6 with d in mm, f_u in MPa (8.3.1.1, 8.5.1.1).
func Yield(d, ultimate float64) float64 {
	return 0.3 * ultimate / 1e6 * math.Pow(d*1000, 2.6) / 1000
}

// Shear is what one fastener bears across its axis between two pieces alike, N: the least of the modes of
// (8.6) with β = 1 and without the rope effect. Into end grain it is a third (8.3.1.2(4)).
func Shear(of Fastener, d, ultimate float64, t Timber, endGrain bool) float64 {
	h, m := Embedding(of, d, t.Density), Yield(d, ultimate)
	if d <= 0 || t.Thick <= 0 || h <= 0 {
		return 0
	}
	a := h * t.Thick * d
	f := min(
		a,
		(math.Sqrt2-1)*a,
		1.05*a/3*(math.Sqrt(4+12*m/(h*d*t.Thick*t.Thick))-1),
		1.15*math.Sqrt(2*m*h*d),
	)
	if endGrain {
		f /= 3
	}
	return f
}

// Withdrawal is what one fastener bears along its axis with its point side l (m) in the wood, N: smooth
// nails 20·10⁻⁶·ρ²·d·l (8.3.2), screws 0.52·d^−0.5·l^−0.1·ρ^0.8·d·l·min(d/8, 1) across the grain (8.7.2), both in mm.
// A bolt bears by its washer, 3·f_c,90 on its ring (8.5.2), with f_c,90 = 0.007·ρ MPa (EN 384). In end grain a smooth
// nail bears nothing (8.3.2(4)), and a screw nothing that is counted: 8.7.2 asks for 30° to the grain at least.
func Withdrawal(of Fastener, d, l, density, washer float64, endGrain bool) float64 {
	mm, long := d*1000, l*1000
	switch {
	case d <= 0 || endGrain && of != Bolt:
		return 0
	case of == Bolt:
		ring := math.Pi / 4 * (washer*washer - d*d)
		return math.Max(0, 3*0.007*density*1e6*ring)
	case l <= 0:
		return 0
	case of == Nail:
		return 20e-6 * density * density * mm * long
	}
	return 0.52 * math.Pow(mm, -0.5) * math.Pow(long, -0.1) * math.Pow(density, 0.8) * mm * long * min(mm/8, 1)
}
