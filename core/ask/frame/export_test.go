package frame

import (
	"math"

	"zygonos/core/lang/quantity"
	"zygonos/core/rig"
	"zygonos/core/sums/frame3d"
)

// solved answers one case with the masses as they are most likely.
func solved(r *rig.Rig, id string) (*model, *answer) {
	m := build(r)
	m.solver, _ = frame3d.New(&m.m)
	for _, c := range cases(m) {
		if c.id == id {
			a, _ := m.solve(&c, m.bodies(), false)
			return m, a
		}
	}
	return nil, nil
}

// Reactions are what ball and wheels bear, kg.
func Reactions(r *rig.Rig) []float64 { return ReactionsOf(r, "level") }

// ReactionsOf are those of a case.
func ReactionsOf(r *rig.Rig, id string) (out []float64) {
	_, a := solved(r, id)
	for _, f := range a.s.Reactions {
		out = append(out, f[frame3d.Z]/quantity.Gravity)
	}
	return out
}

// StressAt is the bending stress up and down at a place of a bar, Pa.
func StressAt(r *rig.Rig, id, bar string, at float64) float64 {
	m, a := solved(r, id)
	for e, p := range m.pieces {
		b := &m.bars[p.bar]
		if b.ID == bar && at >= p.from-1e-9 && at <= p.to+1e-9 {
			return math.Abs(a.s.At(e, at-p.from, false).My) / b.Section.Wy
		}
	}
	return math.NaN()
}

// UseOf is what a case takes of the member that it uses most.
func UseOf(r *rig.Rig, id string) float64 {
	_, a := solved(r, id)
	return a.uses[a.worst].share
}

// DipAt is the free corner's dip with bolted ends of a share of a rigid one's stiffness, m/N.
func DipAt(r *rig.Rig, share float64) float64 {
	m := assemble(r, share)
	m.solver, _ = frame3d.New(&m.m)
	d, _, _ := m.dip()
	return d
}

// Narrowed is the share that a reading leaves.
func Narrowed(r *rig.Rig) float64 { return narrowed(r) }

// BallForce is what the ball does to the frame in a case, N.
func BallForce(r *rig.Rig, id string) float64 {
	m := build(r)
	m.solver, _ = frame3d.New(&m.m)
	for _, c := range cases(m) {
		if c.id == id {
			a, _ := m.solve(&c, m.bodies(), true)
			f := a.s.Reactions[0]
			return math.Sqrt(f[0]*f[0] + f[1]*f[1] + f[2]*f[2])
		}
	}
	return 0
}

// Judged solves and judges every case of a rig's frame, and counts them.
func Judged(r *rig.Rig) int {
	return len(judge(r, func(string) bool { return true }).answers)
}
