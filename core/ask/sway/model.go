// Package sway answers how the trailer follows: whether snaking dies out, and
// how fast. It compares one arrangement with another and never decides a stage.
//
// The planar linear model of car and trailer, its derivation and its limits
// stand in docs/method/sway.md.
package sway

import (
	"math"

	"gonum.org/v1/gonum/mat"
)

// Model is car and trailer at constant speed, small angles. Lengths in m,
// masses in kg, inertias in kg·m², tyre stiffnesses in N/rad of slip.
type Model struct {
	CarMass, CarInertia   float64
	Front, Rear           float64 // car's centre to its axles
	Hitch                 float64 // car's centre to the ball
	FrontTyres, RearTyres float64

	Mass, Inertia float64 // of the trailer, about its own centre
	Centre, Axle  float64 // behind the ball
	Tyres         float64

	Lag float64 // relaxation length of the tyres' side force, m; 0: none
}

// Mode is how a rig moves at one speed.
type Mode struct {
	Damping  float64 // ratio of the least damped oscillation; 1 where nothing oscillates
	Rate     float64 // its undamped rate, rad/s
	Diverges bool    // a real root grows: the rig jack-knifes or spins without swinging
}

// System gives the state matrix at speed v, m/s, of the states: side velocity of
// the car, its yaw rate, articulation rate, articulation angle and, with a lag,
// the side forces of front, rear and trailer axle. ok is false where the inputs
// allow no motion that can be computed.
func (m *Model) System(v float64) (a *mat.Dense, ok bool) {
	n := 4
	if m.Lag > 0 {
		n = 7
	}
	c, e, l := m.Hitch, m.Centre, m.Axle
	m2, i2 := m.Mass, m.Inertia
	mass := mat.NewDense(3, 3, []float64{
		m.CarMass + m2, -m2 * (c + e), -m2 * e,
		-c * m2, m.CarInertia + c*m2*(c+e), c * m2 * e,
		-e * m2, i2 + e*m2*(c+e), i2 + m2*e*e,
	})
	// What the side forces F1, F2, F3 and the yaw rate (inertia of the turning
	// frame) do to the three equations.
	force := mat.NewDense(3, 3, []float64{
		1, 1, 1,
		m.Front, -m.Rear, -c,
		0, 0, -l,
	})
	turning := [3]float64{-(m.CarMass + m2) * v, c * m2 * v, e * m2 * v}
	// Side forces that the tyres come to, of v, r, θ̇, θ: −C times the slip.
	slip := [3][4]float64{
		{1 / v, m.Front / v, 0, 0},
		{1 / v, -m.Rear / v, 0, 0},
		{1 / v, -(c + l) / v, -l / v, -1},
	}
	stiff := [3]float64{m.FrontTyres, m.RearTyres, m.Tyres}

	rhs := mat.NewDense(3, n, nil)
	for i := range 3 {
		rhs.Set(i, 1, turning[i])
		for k := range 3 {
			if n == 7 {
				rhs.Set(i, 4+k, force.At(i, k))
				continue
			}
			for j := range 4 {
				rhs.Set(i, j, rhs.At(i, j)-force.At(i, k)*stiff[k]*slip[k][j])
			}
		}
	}
	var accelerations mat.Dense
	if err := accelerations.Solve(mass, rhs); err != nil {
		return nil, false
	}
	a = mat.NewDense(n, n, nil)
	for i := range 3 {
		for j := range n {
			a.Set(i, j, accelerations.At(i, j))
		}
	}
	a.Set(3, 2, 1)
	for k := range n - 4 {
		rate := v / m.Lag
		for j := range 4 {
			a.Set(4+k, j, -rate*stiff[k]*slip[k][j])
		}
		a.Set(4+k, 4+k, -rate)
	}
	for _, x := range a.RawMatrix().Data {
		if math.IsNaN(x) || math.IsInf(x, 0) {
			return nil, false
		}
	}
	return a, true
}

// At gives the mode at speed v, m/s. ok is false where it cannot be computed:
// no speed, no mass, an axle not behind the ball.
func (m *Model) At(v float64) (mode Mode, ok bool) {
	if !(v > 0) || !(m.CarMass > 0) || !(m.Mass > 0) || !(m.Inertia > 0) || !(m.CarInertia > 0) || !(m.Axle > 0) {
		return Mode{}, false
	}
	a, ok := m.System(v)
	if !ok {
		return Mode{}, false
	}
	var eigen mat.Eigen
	if !eigen.Factorize(a, mat.EigenNone) {
		return Mode{}, false
	}
	mode.Damping = 1
	for _, root := range eigen.Values(nil) {
		if imag(root) == 0 {
			mode.Diverges = mode.Diverges || real(root) > 1e-6
			continue
		}
		rate := math.Hypot(real(root), imag(root))
		if z := -real(root) / rate; z < mode.Damping {
			mode.Damping, mode.Rate = z, rate
		}
	}
	return mode, true
}
