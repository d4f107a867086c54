package ramp

import "math"

// Of a drum of which neither the layer nor the line on it is told: a full one pulls about so much of the
// first layer's pull (practice, C).
const fullDrum = 0.65

// crankKeeps is what of the push on a crank reaches the line: gears and drum rub (C).
const crankKeeps = 0.8

// layer is the layer of the drum that the line runs off at a step: as told, or by what of the line is
// wound there. known is false where neither tells, and it is taken as the first.
func (s *Setup) layer(st *Step) (n int, known bool) {
	w := s.Loading.Winch
	if w.Layer > 0 {
		return w.Layer, true
	}
	if w.Reach == nil || w.Drum <= 0 || w.Line <= 0 {
		return 1, false
	}
	hook := s.Hook(st.Pose)
	out := math.Hypot(s.Winch.U-hook.U, s.Winch.Z-hook.Z)
	if w.Block {
		out *= 2
	}
	width := 0.0
	if w.Wide != nil {
		width = float64(*w.Wide)
	}
	_, n = Wound(float64(w.Drum), float64(w.Line), math.Max(0, float64(*w.Reach)-out), width)
	return max(1, n), true
}

// radius is that of the line on its layer of the drum at a step, to its middle, m.
func (s *Setup) radius(st *Step) float64 {
	w := s.Loading.Winch
	n, _ := s.layer(st)
	return (float64(w.Drum) + float64(2*n-1)*float64(w.Line)) / 2
}

// leaves is what the drum leaves of the rated pull at a step, on the layer there: 1 on the first.
func (s *Setup) leaves(st *Step) float64 {
	n, _ := s.layer(st)
	return OnLayer(1, float64(s.Loading.Winch.Drum), float64(s.Loading.Winch.Line), n)
}

// hardest is the step at which the line takes most of what the winch pulls there.
func (s *Setup) hardest(steps []Step) *Step {
	best, most := &steps[0], 0.0
	for i := range steps {
		if used := s.Pull(&steps[i]) / s.leaves(&steps[i]); used > most {
			best, most = &steps[i], used
		}
	}
	return best
}
