package survey

import "math"

// Axle is how an axle stands under a frame, from the coupling's middle to both spindles.
type Axle struct {
	Yaw      float64 // rad, its right end ahead
	YawDoubt float64
	Behind   float64 // of the axle's line behind the coupling, m
}

// NewAxle is an axle's yaw from the lengths to its left and right spindle, the distance between those two places, and how
// far the axle sits to the right of the frame's middle, m:
//
//	e = (l² − r²)/(2·t),  H = √(l² − (t/2 + e)²),  tan ψ = (e + o)/H
//
// e is where the coupling lies along the axle's line, right of the axle's middle. Errors: ErrTape, ErrShape.
func NewAxle(left, right, faces, off, sigma float64) (*Axle, error) {
	if !(left > 0 && right > 0 && faces > 0 && sigma > 0) || math.IsInf(left+right+faces+sigma, 0) ||
		math.IsNaN(off) {
		return nil, ErrTape
	}
	e := (left*left - right*right) / (2 * faces)
	h2 := left*left - (faces/2+e)*(faces/2+e)
	if !(h2 > 1e-6) {
		return nil, ErrShape
	}
	h := math.Sqrt(h2)
	yaw := math.Atan2(e+off, h)
	// dψ by each of the two lengths: l/(t·H), r/(t·H)
	doubt := sigma * math.Hypot(left, right) / (faces * h)
	return &Axle{Yaw: yaw, YawDoubt: doubt, Behind: h}, nil
}

// Shift is how far one hanger is to be moved along against the other so that the axle stands square, m, the hangers so far
// apart: the right one to the rear where it is positive.
func (a *Axle) Shift(apart float64) float64 { return apart * math.Tan(a.Yaw) }

// Tail is how far the tail runs to the left of the coupling's track, m: a single axle that is yawed rolls straight with the
// trailer askew, long being from coupling to tail.
func (a *Axle) Tail(long float64) float64 { return long * math.Sin(a.Yaw) }

// Scrub is how far a wheel that stands at an angle to its way is pushed sideways, m on a kilometre: 1000·tan θ.
func Scrub(angle float64) float64 { return 1000 * math.Tan(math.Abs(angle)) }

// Toe is the angle of each of two wheels, rad, their rims front apart and rear apart at their foremost and rearmost places,
// rim across: (rear − front)/(2·d), toed in where positive.
func Toe(front, rear, across float64) (angle float64, ok bool) {
	if !(front > 0 && rear > 0 && across > 0) {
		return 0, false
	}
	return math.Asin(math.Max(-1, math.Min(1, (rear-front)/(2*across)))), true
}
