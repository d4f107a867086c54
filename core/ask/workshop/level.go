package workshop

import (
	"errors"
	"math"

	"zygonos/core/lang/finding"
	"zygonos/core/lang/quantity"
	"zygonos/core/lang/said"
	"zygonos/core/plan"
	"zygonos/core/rig"
	"zygonos/core/sums/survey"
)

// standsOf are the stands that were read, with their ids; heights: a laser reads more where it is lower.
func standsOf(l *plan.LevelRead) (ids []string, out []survey.Stand) {
	for _, id := range plan.Ordered(l.Stands, func(s plan.LevelStand) int { return s.Order }) {
		s := l.Stands[id]
		if s.Read == nil {
			continue
		}
		h := float64(*s.Read)
		if l.By == plan.LevelLaser || l.By == "" {
			h = -h
		}
		ids = append(ids, id)
		out = append(out, survey.Stand{At: survey.Vec{X: float64(s.Back), Y: float64(s.Right)}, Height: h})
	}
	return ids, out
}

// level says how the stands lie, what to shim, and what twist remains.
func level(r *rig.Rig, l *plan.LevelRead) finding.Finding {
	f := base(r, CodeLevel, "Level", "level")
	ids, stands := standsOf(l)
	s, err := survey.NewLevel(stands, doubtOf(l.Doubt))
	switch {
	case errors.Is(err, survey.ErrFew):
		return need(
			r,
			f,
			"level/stands",
			"heights at three stands that are not in a line",
			"Best at the four corners of the frame.",
		)
	case err != nil:
		f.Outcome, f.Says = finding.Fails, said.Say("A height makes no sense. Enter it again.")
		return f
	}
	worst, most := 0, 0.0
	for i, v := range s.Shims {
		if v > most {
			worst, most = i, v
		}
	}
	f.Figure = finding.Exactly(quantity.KindLength, most)
	if most <= 2*s.ShimDoubt {
		f.Says = said.Say("Level as far as can be read: %.", said.Length(math.Max(0.001, most)))
	} else {
		f.Says = said.Say("The largest gap is under %: a shim of %. The drawing shows them all.",
			said.Name(l.Stands[ids[worst]].Name, "a stand"), said.Length(most))
	}
	if len(stands) != 4 {
		return f
	}
	diagonal := 0.0
	for i := range 2 {
		a, b := stands[i].At, stands[i+2].At
		diagonal = math.Max(diagonal, math.Hypot(a.X-b.X, a.Y-b.Y))
	}
	twist, may := math.Abs(s.Twist), twistMay*diagonal
	f.Figure, f.Limit = finding.Exactly(quantity.KindLength, twist), finding.Exactly(quantity.KindLength, may)
	switch {
	case twist <= 2*s.TwistDoubt:
		f.Says = append(f.Says, said.Say(" No twist that can be read.")...)
	case twist > may:
		f.Outcome, f.Tight = finding.Tight, finding.LittleRoom
		f.Says = append(
			f.Says,
			said.Say(
				" The four are % out of plane: shim them before anything is tacked, or the frame takes on the twist.",
				said.Length(twist),
			)...)
	default:
		f.Says = append(
			f.Says,
			said.Say(
				" The four are % out of plane; % would matter.",
				said.Length(twist),
				said.Length(may),
			)...)
	}
	return f
}
