package ramp

import (
	"math"

	"zygonos/core/plan"
)

// Rolling resistances of a winched machine, shares of its weight (confidence C).
var rolling = map[plan.WheelState]float64{
	"":               0.04,
	plan.RollsHard:   0.04,
	plan.RollsFlat:   0.15,
	plan.RollsSoft:   0.25,
	plan.RollsLocked: 0.8,
}

// Bump is the level pull at axle height that takes a wheel of radius r with its axle's
// load W over a step h: W·√(2rh − h²)/(r − h). ok is false for a step as high as the axle.
func Bump(weight, r, h float64) (pull float64, ok bool) {
	switch {
	case h <= 0:
		return 0, true
	case h >= r:
		return 0, false
	}
	return weight * math.Sqrt(2*r*h-h*h) / (r - h), true
}

// line is that of a winched machine where it stands: its wheels roll as they are stated to, and
// where one comes against the step at a ramp's end that holds it back too.
func (s *Setup) line(q Pose) Line {
	if s.Way != ByLine {
		return Line{}
	}
	var wheels plan.WheelState
	if w := s.Loading.Winch; w != nil {
		wheels = w.Wheels
	}
	rolls := func(c Contact, r float64) Resistance {
		return Resistance{Rolls: rolling[wheels], Bump: s.bumpAt(c.Centre, r), Locked: wheels == plan.RollsLocked}
	}
	return Line{
		Hook:  s.Hook(q),
		Winch: s.Winch,
		Front: rolls(q.Front, s.Body.FrontR),
		Rear:  rolls(q.Rear, s.Body.RearR),
	}
}

// bumpNear is how far before the step its bump counts already, m, so that no drive steps
// over it.
const bumpNear = 0.05

// bumpAt is the bump of a wheel at c as a share of what presses it, zero where it is at
// no step: √(2rh − h²) before the ramp's foot or hinge it touches it.
func (s *Setup) bumpAt(c Point, r float64) float64 {
	h := s.step()
	share, climbs := Bump(1, r, h)
	if !climbs {
		return 0
	}
	touches := math.Sqrt(2*r*h-h*h) + bumpNear
	for k, edge := range []Point{s.Foot, s.Top} {
		if before := edge.U - c.U; before > 0 && before <= touches && !(k == 1 && s.Tilts) {
			return share
		}
	}
	return 0
}

// Pull is what the winch's line bears at a step of the drive when it starts from rest there,
// kg; with a block half of it and the block's loss.
func (s *Setup) Pull(st *Step) float64 {
	pull := fromRest * math.Max(0, st.Wheels.Line)
	if w := s.Loading.Winch; w != nil && w.Block {
		pull /= 2 * (1 - blockLoses)
	}
	return pull
}

// Needed is the most that the line bears on the way, kg, and at which step; climbs is false
// where the wheels are too small for the step at the ramp's ends.
func (s *Setup) Needed(steps []Step) (most float64, at int, climbs bool) {
	at = WorstOf(steps).Line
	_, climbs = Bump(1, math.Min(s.Body.FrontR, s.Body.RearR), s.step())
	return s.Pull(&steps[at]), at, climbs
}

// hingeStep is the usual step at a ramp's end, m (C).
const hingeStep = 0.02

// step is that of the ramp, as stated or usual, m.
func (s *Setup) step() float64 {
	if s.Ramp.Step != nil {
		return float64(*s.Ramp.Step)
	}
	return hingeStep
}
