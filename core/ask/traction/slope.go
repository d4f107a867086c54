package traction

import "math"

// Rig is a car, or a mower, with its trailer on a slope: kg, metres, shares of g. Forces here are in
// kilograms of weight.
type Rig struct {
	Car       float64 // mass
	RearShare float64 // of it on the rear axle, level, without a trailer
	Wheelbase float64
	Overhang  float64 // rear axle to ball
	CarUp     float64 // its centre's height
	Ball      float64 // the ball's height
	Trailer   float64 // mass
	OnBall    float64 // ball load, level
	Axle      float64 // ball to axle
	TrailerUp float64 // its centre's height
	Own       bool    // the trailer brakes itself downhill
	Front     bool    // front wheels drive
	Rear      bool    // rear wheels drive
	RearBrake bool    // only the rear wheels brake
}

// Loads are what presses on the ground, and what is pulled or held along it, kg.
type Loads struct {
	Front, Rear float64 // of the car
	Ball        float64
	Pull        float64 // at the ball: what the trailer draws the car back with, or pushes it
}

// on tells what presses where along is what draws every weight back along the ground, as a share of it:
// sin θ uphill, −sin θ downhill, −(sin θ + b) while it slows by b there. The ball bears, across the slope,
//
//	R = (m·cos θ·(L − x) − m·along·h + P·h_b)/L
//
// with the pull P on it, and the rear axle
//
//	N_r = (M·cos θ·l + M·along·H + R·(w + o) + P·h_b)/w.
func (r *Rig) on(slope, along, pull float64) Loads {
	cos := math.Cos(slope)
	clear := r.OnBall * r.Axle // m·(L − x)
	ball := (cos*clear - r.Trailer*along*r.TrailerUp + pull*r.Ball) / r.Axle
	rear := (r.Car*cos*r.RearShare*r.Wheelbase + r.Car*along*r.CarUp + ball*(r.Wheelbase+r.Overhang) +
		pull*r.Ball) / r.Wheelbase
	return Loads{Front: r.Car*cos + ball - rear, Rear: rear, Ball: ball, Pull: pull}
}

// starting is how much more it takes to begin to roll (practice, C).
const starting = 1.1

// Climb is the friction that the driven wheels take to start uphill, and how the wheels are loaded:
// F = starting·((M + m)·(sin θ + c·cos θ)) over what presses on them.
func (r *Rig) Climb(slope, rolling float64) (friction float64, l Loads) {
	per := math.Sin(slope) + rolling*math.Cos(slope)
	l = r.on(slope, math.Sin(slope), starting*r.Trailer*per)
	driven := 0.0
	if r.Front {
		driven += l.Front
	}
	if r.Rear {
		driven += l.Rear
	}
	return over(starting*(r.Car+r.Trailer)*per, driven), l
}

// Stand is the friction that the rear wheels take to stand uphill on the parking brake.
func (r *Rig) Stand(slope float64) (friction float64, l Loads) {
	l = r.on(slope, math.Sin(slope), r.Trailer*math.Sin(slope))
	return over((r.Car+r.Trailer)*math.Sin(slope), l.Rear), l
}

// slowing is how hard it is braked downhill, g (practice, C).
const slowing = 0.1

// Descend is the friction that the braked wheels take to slow down going down; the trailer pushes
// unless it brakes itself.
func (r *Rig) Descend(slope float64) (friction float64, l Loads) {
	per := math.Sin(slope) + slowing
	push := r.Trailer * per
	if r.Own {
		push = 0
	}
	l = r.on(slope, -per, -push)
	braked := l.Front + l.Rear
	if r.RearBrake {
		braked = l.Rear
	}
	return over(r.Car*per+push, braked), l
}

// aslant is the angle at which the trailer is taken to push in a bend, rad (practice, C).
const aslant = 20 * math.Pi / 180

// Folds is the friction that the car's rear wheels take not to be pushed round when the trailer
// pushes aslant while it is braked: √(B² + S²)/N_r, S = P·sin ψ·(w + o)/w.
func (r *Rig) Folds(slope float64) (friction float64, l Loads) {
	_, l = r.Descend(slope)
	per := math.Sin(slope) + slowing
	brakes := r.Car*per - l.Pull*math.Cos(aslant)
	rear := brakes
	if !r.RearBrake {
		rear = brakes * l.Rear / math.Max(1e-9, l.Front+l.Rear)
	}
	side := -l.Pull * math.Sin(aslant) * (r.Wheelbase + r.Overhang) / r.Wheelbase
	return over(math.Hypot(rear, side), l.Rear), l
}

// over is a force over what presses; without anything that presses no friction is enough.
func over(force, presses float64) float64 {
	if force <= 0 {
		return 0
	}
	if presses <= 1e-9 {
		return math.Inf(1)
	}
	return force / presses
}

// steers is the least share of a car's weight that its front wheels take to steer (practice, C).
const steers = 0.15

// Manages reports whether the friction is enough for all of it.
func (r *Rig) Manages(slope, rolling, friction float64) bool {
	up, l := r.Climb(slope, rolling)
	stand, _ := r.Stand(slope)
	down, _ := r.Descend(slope)
	fold, _ := r.Folds(slope)
	return max(up, stand, down, fold) <= friction && l.Front >= steers*r.Car
}

// Heaviest is the most mass of a trailer alike (its ball load a same share) that it manages, kg:
// halved to a kilogram between nothing and twenty times the car.
func (r *Rig) Heaviest(slope, rolling, friction float64) float64 {
	share := r.OnBall / math.Max(1e-9, r.Trailer)
	with := func(kg float64) *Rig {
		o := *r
		o.Trailer, o.OnBall = kg, share*kg
		return &o
	}
	lo, hi := 0.0, 20*r.Car
	if !with(0).Manages(slope, rolling, friction) {
		return 0
	}
	for hi-lo > 0.5 {
		if mid := (lo + hi) / 2; with(mid).Manages(slope, rolling, friction) {
			lo = mid
		} else {
			hi = mid
		}
	}
	return lo
}
