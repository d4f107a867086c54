package frame

import (
	"math"

	"zygonos/core/lang/finding"
	"zygonos/core/lang/quantity"
	"zygonos/core/lang/said"
	"zygonos/core/plan"
	"zygonos/core/rig"
	"zygonos/core/sums/frame3d"
)

// CodeTwist is the code of the finding on what the finished frame showed.
const CodeTwist = "frame.twist"

// Bolted ends are searched between these shares of a rigid end's stiffness; a dip within a tenth of the
// expected one says nothing (practice, C).
const (
	softest  = 0.03
	hardest  = 0.97
	dipDoubt = 0.15
)

// dip is how far the fourth corner goes down under 1 N, with three held, m/N, and how far apart the rails
// are; ok is false where the frame has no four corners or falls over.
func (m *model) dip() (perNewton, wide float64, ok bool) {
	o, at := m.twisted()
	if o == nil {
		return 0, 0, false
	}
	perNewton = -o.Moved[at[3]][frame3d.Z] / twistForce
	wide = m.m.Nodes[at[3]].Y - m.m.Nodes[at[2]].Y
	return perNewton, wide, wide > 0 && perNewton > 0
}

// twistForce lowers the free corner, N.
const twistForce = 1000.0

// twisted is the frame on three corners with twistForce on the fourth, and its corners; nil where it has
// none or falls over.
func (m *model) twisted() (*frame3d.Solution, []int) {
	at := m.corners()
	if at == nil || m.solver == nil {
		return nil, nil
	}
	s, err := m.solver.On([]frame3d.Support{
		{Node: at[0], Held: [6]bool{true, true, true}}, {Node: at[1], Held: [6]bool{frame3d.Z: true}},
		{Node: at[2], Held: [6]bool{false, true, true}},
	})
	if err != nil {
		return nil, nil
	}
	return s.Solve(&frame3d.Case{Nodes: []frame3d.NodeLoad{{Node: at[3], Force: vec{Z: -twistForce}}}}), at
}

// twist is what the dip says: over the distance of the rails it is the angle, the force times that distance
// the torque.
func (m *model) twist() *Twist {
	dip, wide, ok := m.dip()
	angle := finding.Exactly(quantity.KindAngle, dip*1000/(wide*wide))
	corner := finding.Exactly(quantity.KindLength, dip*100*quantity.Gravity)
	if !ok || angle == nil || corner == nil {
		return nil
	}
	return &Twist{Degrees: *angle, Corner: *corner}
}

// bolted reports whether an end of a member is bolted.
func bolted(r *rig.Rig) bool {
	for i := range r.Drawn.Bars {
		b := &r.Drawn.Bars[i]
		if jointOf(b, b.Member.FromJoint) == plan.JointBolt || jointOf(b, b.Member.ToJoint) == plan.JointBolt {
			return true
		}
	}
	return false
}

// measured is the dip that was read on the finished frame, m/N; false where none was.
func measured(r *rig.Rig) (perNewton float64, ok bool) {
	f := r.Trailer.Frame
	if f.TwistLoad == nil || f.TwistDip == nil || !(*f.TwistLoad > 0) || !(*f.TwistDip > 0) {
		return 0, false
	}
	return float64(*f.TwistDip) / (float64(*f.TwistLoad) * quantity.Gravity), true
}

// narrowed is the share of a rigid end's stiffness that bolted ends have by the dip that was read: the dip
// falls as they are stiffer, so it is found by halving. Without a reading, bolted ends or an answer it is
// what is usual.
func narrowed(r *rig.Rig) float64 {
	want, ok := measured(r)
	if !ok || !bolted(r) {
		return boltShare
	}
	dipAt := func(share float64) (float64, bool) {
		m := assemble(r, share)
		if m == nil || m.missing != "" {
			return 0, false
		}
		var err error
		if m.solver, err = frame3d.New(&m.m); err != nil {
			return 0, false
		}
		d, _, ok := m.dip()
		return d, ok
	}
	low, high := softest, hardest
	soft, ok1 := dipAt(low)
	hard, ok2 := dipAt(high)
	switch {
	case !ok1 || !ok2:
		return boltShare
	case want >= soft:
		return low
	case want <= hard:
		return high
	}
	for range 12 {
		mid := (low + high) / 2
		d, ok := dipAt(mid)
		if !ok {
			return boltShare
		}
		if d > want {
			low = mid
		} else {
			high = mid
		}
	}
	return (low + high) / 2
}

// tested holds what the finished frame showed against what was expected of it.
func (j *judged) tested() (finding.Finding, bool) {
	f := base(j.r, CodeTwist, "Twist of the finished frame")
	f.Gate, f.Source = "", &practice
	read, ok := measured(j.r)
	if !ok {
		return f, false
	}
	m := assemble(j.r, boltShare)
	if m == nil {
		return f, false
	}
	var err error
	if m.solver, err = frame3d.New(&m.m); err != nil {
		return f, false
	}
	expected, _, ok := m.dip()
	if !ok {
		return f, false
	}
	load := float64(*j.r.Trailer.Frame.TwistLoad) * quantity.Gravity
	f.Figure, f.Limit = finding.Exactly(
		quantity.KindLength,
		read*load,
	), finding.Exactly(
		quantity.KindLength,
		expected*load,
	)
	f.Says = said.Say(
		"The free corner dropped % where % was expected.",
		said.Length(read*load),
		said.Length(expected*load),
	)
	switch {
	case math.Abs(read-expected) <= dipDoubt*expected:
		f.Says = append(f.Says, said.Say(" The joints are as stiff as drawn.")...)
	case bolted(j.r):
		f.Outcome, f.Tight = finding.Tight, finding.LittleRoom
		f.Says = append(
			f.Says,
			said.Say(" Its bolted joints then have % of a rigid joint's stiffness, and the checks use that.",
				said.Share(math.Round(narrowed(j.r)*100)/100))...)
	case read > expected:
		f.Outcome, f.Tight = finding.Tight, finding.LittleRoom
		f.Says = append(f.Says, said.Say(" A joint gives, a weld is short, or a wall is thinner than drawn.")...)
	default:
		f.Says = append(f.Says, said.Say(" It is stiffer: deck and sides may help, and the sum leaves them out.")...)
	}
	return f, true
}
