// Package tow moves a car with a trailer over level ground at low speed: wheels roll without slip. Formulas:
// docs/method/reversing.md.
package tow

import "math"

// Rig is a car with a trailer, m and rad.
type Rig struct {
	Wheelbase float64 // of the car
	Overhang  float64 // from its rear axle to the ball
	Length    float64 // from the ball to the trailer's axle
	SteerMost float64 // of its front wheels, to each side
	SteerRate float64 // rad/s
	FoldMost  float64 // hitch angle at which trailer and car touch
	Accel     float64 // m/s²
	Ahead     float64 // m/s at most
	Back      float64 // m/s at most, above zero
}

// State is where it stands: the middle of the car's rear axle, its heading from x counter-clockwise, the hitch angle (car's heading
// less the trailer's), the front wheels' angle and the speed.
type State struct {
	X, Y, Heading float64
	Hitch         float64
	Steer         float64 // above zero: to the left
	Speed         float64 // below zero: in reverse
}

// Input is what the driver asks for, each from −1 to 1: steering to the left, pedal ahead.
type Input struct{ Steer, Pedal float64 }

// Tick is the step of time, s.
const Tick = 1.0 / 60

// Rates are the velocities of heading and hitch angle where the car rolls at v with its wheels at δ:
//
//	θ' = v·tan δ/w
//	φ' = v·sin γ/L − o·θ'·cos γ/L,  γ' = θ' − φ'
func (r *Rig) Rates(v, steer, hitch float64) (heading, fold float64) {
	heading = v * math.Tan(steer) / r.Wheelbase
	trailer := (v*math.Sin(hitch) - r.Overhang*heading*math.Cos(hitch)) / r.Length
	return heading, heading - trailer
}

// Step moves it one tick. Wheels and speed follow the driver at their rates; the way is integrated by Runge and Kutta's fourth
// order at their values in the middle of the tick. folded says that trailer and car touch: it stops there.
func (r *Rig) Step(s State, in Input) (next State, folded bool) {
	steer := toward(s.Steer, clamp(in.Steer)*r.SteerMost, r.SteerRate*Tick)
	want := clamp(in.Pedal)
	if want >= 0 {
		want *= r.Ahead
	} else {
		want *= r.Back
	}
	speed := toward(s.Speed, want, r.Accel*Tick)
	delta, v := (s.Steer+steer)/2, (s.Speed+speed)/2
	type rate struct{ x, y, h, g float64 }
	at := func(h, g float64) rate {
		dh, dg := r.Rates(v, delta, g)
		return rate{v * math.Cos(h), v * math.Sin(h), dh, dg}
	}
	k1 := at(s.Heading, s.Hitch)
	k2 := at(s.Heading+k1.h*Tick/2, s.Hitch+k1.g*Tick/2)
	k3 := at(s.Heading+k2.h*Tick/2, s.Hitch+k2.g*Tick/2)
	k4 := at(s.Heading+k3.h*Tick, s.Hitch+k3.g*Tick)
	mean := func(a, b, c, d float64) float64 { return (a + 2*b + 2*c + d) / 6 * Tick }
	next = State{
		X: s.X + mean(k1.x, k2.x, k3.x, k4.x), Y: s.Y + mean(k1.y, k2.y, k3.y, k4.y),
		Heading: s.Heading + mean(k1.h, k2.h, k3.h, k4.h), Hitch: s.Hitch + mean(k1.g, k2.g, k3.g, k4.g),
		Steer: steer, Speed: speed,
	}
	if math.Abs(next.Hitch) >= r.FoldMost && math.Abs(next.Hitch) > math.Abs(s.Hitch) {
		s.Speed, s.Steer = 0, steer
		return s, true
	}
	return next, false
}

// Critical is the hitch angle beyond which no steering straightens the trailer in reverse, only driving forward does, rad:
//
//	tan δ_most·(L + o·cos γ) = w·sin γ
//
// It is FoldMost where the trailer folds before.
func (r *Rig) Critical() float64 {
	t := math.Tan(r.SteerMost)
	f := func(g float64) float64 { return t*(r.Length+r.Overhang*math.Cos(g)) - r.Wheelbase*math.Sin(g) }
	low, high := 0.0, math.Pi/2
	if f(high) > 0 {
		return math.Min(r.FoldMost, high)
	}
	for range 60 {
		if m := (low + high) / 2; f(m) > 0 {
			low = m
		} else {
			high = m
		}
	}
	return math.Min(r.FoldMost, (low+high)/2)
}

// Circle is the hitch angle at which it drives a steady circle with its wheels at δ, rad: tan δ·(L + o·cos γ) = w·sin γ; ok is false
// where there is none.
func (r *Rig) Circle(steer float64) (hitch float64, ok bool) {
	t := math.Tan(steer)
	// A·sin γ + B·cos γ = C with A = w, B = −t·o, C = t·L
	a, b, c := r.Wheelbase, -t*r.Overhang, t*r.Length
	h := math.Hypot(a, b)
	if h == 0 || math.Abs(c) > h {
		return 0, false
	}
	return math.Asin(c/h) - math.Atan2(b, a), true
}

// Ball is where it is.
func (r *Rig) Ball(s State) (x, y float64) {
	return s.X - r.Overhang*math.Cos(s.Heading), s.Y - r.Overhang*math.Sin(s.Heading)
}

// Trailer is the middle of the trailer's axle and its heading.
func (r *Rig) Trailer(s State) (x, y, heading float64) {
	bx, by := r.Ball(s)
	heading = s.Heading - s.Hitch
	return bx - r.Length*math.Cos(heading), by - r.Length*math.Sin(heading), heading
}

func clamp(v float64) float64 {
	if math.IsNaN(v) {
		return 0
	}
	return math.Max(-1, math.Min(1, v))
}

func toward(from, to, most float64) float64 {
	return from + math.Max(-most, math.Min(most, to-from))
}
