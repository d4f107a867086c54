// Package pipe finds what a pump gives through hoses, fittings and a nozzle. Formulas: docs/method/pump.md.
package pipe

import (
	"errors"
	"math"
	"slices"
)

// Water at 20 °C.
const (
	Density   = 998.0   // kg/m³
	Viscosity = 1.00e-6 // m²/s, kinematic
	gravity   = 9.80665
)

// Hose is a stretch of one bore.
type Hose struct {
	Long  float64 // m
	Bore  float64 // m
	Rough float64 // m, of its inside
	K     float64 // of inlet, bends and fittings together
	More  float64 // times its friction, 1 straight, more on a reel
}

// Speed of a flow (m³/s) in it, m/s.
func (h *Hose) Speed(flow float64) float64 { return flow / (math.Pi / 4 * h.Bore * h.Bore) }

// Friction is Darcy's friction factor at a Reynolds number and a relative roughness: laminar 64/Re to 2300; turbulent from
// 4000 by Colebrook and White,
//
//	1/√f = −2·log₁₀(ε/3.7 + 2.51/(Re·√f)),
//
// evenly between the two.
func Friction(re, rough float64) float64 {
	const from, to = 2300.0, 4000.0
	switch {
	case !(re > 0):
		return 0
	case re <= from:
		return 64 / re
	case re < to:
		s := (re - from) / (to - from)
		return (1-s)*64/from + s*colebrook(to, rough)
	}
	return colebrook(re, rough)
}

func colebrook(re, rough float64) float64 {
	x := -2 * math.Log10(rough/3.7+5.74/math.Pow(re, 0.9)) // Swamee and Jain to begin with
	for range 20 {
		next := -2 * math.Log10(rough/3.7+2.51*x/re)
		if math.Abs(next-x) < 1e-11 {
			break
		}
		x = next
	}
	return 1 / (x * x)
}

// Loss is the pressure that a flow loses in it, Pa: (f·L/D·more + ΣK)·ρ·v²/2.
func (h *Hose) Loss(flow float64) float64 {
	if !(flow > 0) {
		return 0
	}
	v := h.Speed(flow)
	f := Friction(v*h.Bore/Viscosity, h.Rough/h.Bore)
	return (f*h.Long/h.Bore*math.Max(1, h.More) + h.K) * Density * v * v / 2
}

// Point of a pump's curve: flow, m³/s, and the pressure that it gives then, Pa.
type Point struct{ Flow, Pressure float64 }

// Errors of a curve or a nozzle that makes no sense.
var (
	ErrCurve = errors.New("a pump's curve takes two points and falls")
	ErrSize  = errors.New("a bore or a length makes no sense")
)

// Curve is a pump's, from no flow to no pressure; straight between its points.
type Curve []Point

// NewCurve sorts points; ErrCurve where there are less than two, or pressure does not fall as the flow grows.
func NewCurve(points ...Point) (Curve, error) {
	c := slices.Clone(points)
	slices.SortFunc(c, func(a, b Point) int {
		switch {
		case a.Flow < b.Flow:
			return -1
		case a.Flow > b.Flow:
			return 1
		}
		return 0
	})
	if len(c) < 2 {
		return nil, ErrCurve
	}
	for i, p := range c {
		if !(p.Flow >= 0) || !(p.Pressure >= 0) || math.IsInf(p.Flow+p.Pressure, 0) ||
			i > 0 && (p.Flow <= c[i-1].Flow || p.Pressure >= c[i-1].Pressure) {
			return nil, ErrCurve
		}
	}
	return c, nil
}

// At is the pressure at a flow, Pa: beyond its points as between the nearest two, no less than zero.
func (c Curve) At(flow float64) float64 {
	i := 1
	for i < len(c)-1 && flow > c[i].Flow {
		i++
	}
	a, b := c[i-1], c[i]
	return math.Max(0, a.Pressure+(flow-a.Flow)*(b.Pressure-a.Pressure)/(b.Flow-a.Flow))
}

// End is the flow at which it gives no pressure, m³/s.
func (c Curve) End() float64 {
	a, b := c[len(c)-2], c[len(c)-1]
	return b.Flow + b.Pressure*(b.Flow-a.Flow)/(a.Pressure-b.Pressure)
}

// Discharge is a nozzle's coefficient (0.95, practice).
const Discharge = 0.95

// Line is a pump with what it pumps through.
type Line struct {
	Curve  Curve
	Hoses  []Hose
	Up     float64 // m from the water's level to the nozzle
	Nozzle float64 // m, its bore; zero: an open end
}

// nozzle is the pressure before a nozzle, Pa: ρ/2·(Q/(Cd·A))².
func (l *Line) nozzle(flow float64) float64 {
	if l.Nozzle <= 0 {
		return 0
	}
	v := flow / (Discharge * math.Pi / 4 * l.Nozzle * l.Nozzle)
	return Density * v * v / 2
}

// Wants is the pressure that a flow takes, Pa: height, hoses, nozzle.
func (l *Line) Wants(flow float64) float64 {
	p := Density*gravity*l.Up + l.nozzle(flow)
	for i := range l.Hoses {
		p += l.Hoses[i].Loss(flow)
	}
	return p
}

// Running is where a pump and its line agree.
type Running struct {
	Flow     float64 // m³/s
	Pressure float64 // at the pump, Pa
	Nozzle   float64 // before the nozzle, Pa
	Jet      float64 // m/s
}

// Run finds the flow at which the pump gives what the line takes, by halving: the one falls, the other rises. No flow
// where the pump does not lift so high. Errors: ErrCurve, ErrSize.
func (l *Line) Run() (r Running, err error) {
	if len(l.Curve) < 2 {
		return r, ErrCurve
	}
	for _, h := range l.Hoses {
		if !(h.Bore > 0) || !(h.Long >= 0) || math.IsInf(h.Long+h.Bore, 0) {
			return r, ErrSize
		}
	}
	if l.Nozzle < 0 || math.IsNaN(l.Nozzle+l.Up) || math.IsInf(l.Nozzle+l.Up, 0) {
		return r, ErrSize
	}
	if l.Curve.At(0) <= l.Wants(0) {
		return Running{Pressure: l.Curve.At(0)}, nil
	}
	lo, hi := 0.0, l.Curve.End()
	for range 42 {
		mid := (lo + hi) / 2
		if l.Curve.At(mid) > l.Wants(mid) {
			lo = mid
		} else {
			hi = mid
		}
	}
	r.Flow = (lo + hi) / 2
	r.Pressure, r.Nozzle = l.Curve.At(r.Flow), l.nozzle(r.Flow)
	bore := l.Nozzle
	if bore <= 0 && len(l.Hoses) > 0 {
		bore = l.Hoses[len(l.Hoses)-1].Bore
	}
	if bore > 0 {
		r.Jet = r.Flow / (math.Pi / 4 * bore * bore)
	}
	return r, nil
}

// Reach is how far and how high a jet goes without air, m: v²/g at 45°, v²/2g straight up. No jet goes as far.
func (r *Running) Reach() (far, high float64) {
	return r.Jet * r.Jet / gravity, r.Jet * r.Jet / (2 * gravity)
}
