package ramp

import (
	"cmp"
	"math"
	"slices"
)

// Course is the drive on with every moment at which something changes: beside n even steps,
// both sides of each event (a wheel comes to or leaves a foot, a crest, a tail, a pivot or a
// step; a tilted bed drops) and the extremes between them. No worst moment is missed by more
// than rounding, whatever n.
func (s *Setup) Course(n int) []Step {
	steps := s.Drive(n)
	byPlace := func(a, b Step) int { return cmp.Compare(a.U, b.U) }
	var more []Step
	for i := range len(steps) - 1 {
		more = s.events(more, &steps[i], &steps[i+1])
	}
	steps = append(steps, more...)
	slices.SortFunc(steps, byPlace)
	more = nil
	for _, of := range extremes {
		if best, ok := s.extreme(steps, of); ok {
			more = append(more, best)
		}
	}
	steps = append(steps, more...)
	slices.SortFunc(steps, byPlace)
	return steps
}

// Tolerances of a place on the way, m.
const (
	eventWithin   = 1e-7
	extremeWithin = 1e-6
)

// phase is what both wheels stand on and against: between two events it is the same.
type phase struct {
	front, rear         int // piece or corner of the path
	frontBump, rearBump bool
	level               bool
}

func (s *Setup) phaseOf(st *Step) phase {
	l := s.line(st.Pose)
	return phase{st.Pose.Front.On, st.Pose.Rear.On, l.Front.Bump > 0, l.Rear.Bump > 0, st.Level}
}

// events adds both sides of every change of phase between two steps, found by halving.
func (s *Setup) events(into []Step, a, b *Step) []Step {
	if s.phaseOf(a) == s.phaseOf(b) {
		return into
	}
	if b.U-a.U < eventWithin {
		return append(into, *a, *b)
	}
	mid := s.At((a.U+b.U)/2, b.Pose.Front.Centre.U-b.Pose.Rear.Centre.U)
	return s.events(s.events(into, a, &mid), &mid, b)
}

// extremes are the figures whose least moment the checks read, the smaller the worse.
var extremes = []func(*Step) float64{
	func(st *Step) float64 { return st.Ball },
	func(st *Step) float64 { return st.Clearance },
	func(st *Step) float64 { return -st.Prop },
	func(st *Step) float64 { return -st.Bending },
	func(st *Step) float64 { return -st.Wheels.Line },
}

// extreme refines the least of a figure between the neighbours of its worst step by
// golden section: between events the figure is smooth.
func (s *Setup) extreme(steps []Step, of func(*Step) float64) (best Step, ok bool) {
	at := 0
	for i := range steps {
		if of(&steps[i]) < of(&steps[at]) {
			at = i
		}
	}
	if at == 0 || at == len(steps)-1 || of(&steps[at-1]) == of(&steps[at]) && of(&steps[at]) == of(&steps[at+1]) {
		return best, false
	}
	best = steps[at]
	guess := best.Pose.Front.Centre.U - best.Pose.Rear.Centre.U
	// On either side: an event beside the worst step divides it from the other.
	for _, side := range [2][2]float64{{steps[at-1].U, steps[at].U}, {steps[at].U, steps[at+1].U}} {
		if st := s.golden(side[0], side[1], guess, of); of(&st) < of(&best) {
			best = st
		}
	}
	return best, true
}

func (s *Setup) golden(lo, hi, guess float64, of func(*Step) float64) Step {
	const ratio = 0.6180339887498949
	a, b := s.At(hi-ratio*(hi-lo), guess), s.At(lo+ratio*(hi-lo), guess)
	for hi-lo > extremeWithin {
		if of(&a) < of(&b) {
			hi, b = b.U, a
			a = s.At(hi-ratio*(hi-lo), guess)
		} else {
			lo, a = a.U, b
			b = s.At(lo+ratio*(hi-lo), guess)
		}
	}
	if of(&a) < of(&b) {
		return a
	}
	return b
}

// leastClearance is the least on the way, m, events and extreme counted.
func (s *Setup) leastClearance(n int) float64 {
	least := math.Inf(1)
	for _, st := range s.Course(n) {
		least = math.Min(least, st.Clearance)
	}
	return least
}
