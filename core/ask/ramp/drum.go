package ramp

import (
	"math"

	"zygonos/core/facts/norms"
	"zygonos/core/lang/finding"
	"zygonos/core/lang/said"
)

// layer is the layer of the drum that the line runs off at a step: as stated, or by what of the line is
// wound there. known is false where neither tells, and it is taken as the first; and where a higher one is
// stated, but not how thick drum and line are.
func (s *Setup) layer(st *Step) (n int, known bool) {
	w := s.Loading.Winch
	if w.Layer > 0 {
		return w.Layer, w.Layer == 1 || w.Drum > 0 && w.Line > 0
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

// fuller is what a drum of which not all is stated may leave yet of what leaves says, with what to tell: 1 and
// nothing where all is.
func (s *Setup) fuller(st *Step) (share float64, needs []finding.Need) {
	if _, known := s.layer(st); known {
		return 1, nil
	}
	path, w := s.Rig.LayoutPath("/loading/winch"), s.Loading.Winch
	switch {
	case w.Layer == 0:
		needs = append(needs, finding.Need{
			Path: path + "/layer", Says: said.Say("the layer on the drum that the line runs off"),
			Where: said.Say("Pay out the line as for loading and count what is left on the drum."),
		})
	case w.Drum <= 0:
		needs = append(needs, finding.Need{
			Path: path + "/drum", Says: said.Say("the bare drum's diameter"), Where: said.Say("Tape it beside the line."),
		})
	default:
		needs = append(needs, finding.Need{
			Path: path + "/line", Says: said.Say("the line's thickness"), Where: said.Say("With a caliper."),
		})
	}
	return norms.FullDrum, needs
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
