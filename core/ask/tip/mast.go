package tip

import (
	"math"

	"zygonos/core/lang/finding"
	"zygonos/core/lang/quantity"
	"zygonos/core/lang/said"
	"zygonos/core/plan"
	"zygonos/core/sums/tipping"
)

// mast says what a fixed mast bears at its top and as a moment at its foot, where it is greatest: the line to the bed, and
// the drum's part of it down along the mast. Its own strength is not judged: the frame's members are.
func (s *Setup) mast() (finding.Finding, bool) {
	f := s.base(CodeMast, "What the mast bears", "foot")
	f.Gate = finding.GateCut
	if s.t.By != plan.TipByMast || s.t.Foot == s.t.Top {
		return f, false
	}
	top, foot := vec(s.t.Top), vec(s.t.Foot)
	long := math.Hypot(top.X-foot.X, top.Z-foot.Z)
	worst, along := 0.0, 0.0
	for i := range s.Swept {
		h := &s.Swept[i]
		// across the mast by its lever, and along it with the line that comes down
		moment := math.Abs((top.X-foot.X)*h.Foot.Z - (top.Z-foot.Z)*h.Foot.X)
		if moment > worst {
			worst = moment
			along = -(h.Foot.X*(top.X-foot.X)+h.Foot.Z*(top.Z-foot.Z))/long + h.Pull/s.tackle()
		}
	}
	if at, through := s.through(); through && !s.t.Beside {
		f.Outcome, f.Tight, f.Gate = finding.Tight, finding.LittleRoom, finding.GateCut
		f.Figure = finding.Exactly(quantity.KindAngle, at)
		f.Says = said.Say(
			"At % the bed comes up into the mast. Two posts beside the bed, joined over their tops, or a mast that leans farther forward.",
			said.Of(quantity.KindAngle, at),
		)
		return f, true
	}
	f.Figure = finding.Exactly(quantity.KindMass, worst/tipping.Gravity)
	f.Says = said.Say(
		"Where it bends most the mast's foot bears a moment as of % at one metre, and % along it. Draw the mast as a member, a stay or a deep foot to it.",
		said.Mass(worst/tipping.Gravity),
		said.Mass(math.Max(0, along)/tipping.Gravity),
	)
	return f, true
}

// through is the first angle at which the bed's floor, from its front edge to over the hinge, crosses a fixed mast.
func (s *Setup) through() (angle float64, is bool) {
	from := 0.0
	if s.t.From != nil {
		from = float64(*s.t.From)
	}
	foot, top, hinge := vec(s.t.Foot), vec(s.t.Top), s.gear.Hinge
	side := func(a, b, p tipping.Vec) float64 { return (b.X-a.X)*(p.Z-a.Z) - (b.Z-a.Z)*(p.X-a.X) }
	front, over := tipping.Vec{X: from - hinge.X, Z: -hinge.Z}, tipping.Vec{Z: -hinge.Z}
	for i := range s.Swept {
		turned := func(r tipping.Vec) tipping.Vec {
			v := tipping.Turned(r, s.Swept[i].Angle)
			return tipping.Vec{X: hinge.X + v.X, Z: hinge.Z + v.Z}
		}
		a, b := turned(front), turned(over)
		if side(a, b, foot)*side(a, b, top) < 0 && side(foot, top, a)*side(foot, top, b) < 0 {
			return s.Swept[i].Angle, true
		}
	}
	return 0, false
}
