package workshop

import (
	"cmp"
	"math"
	"slices"

	"gonum.org/v1/gonum/spatial/r3"

	"zygonos/core/facts/norms"
	"zygonos/core/lang/said"
	"zygonos/core/lang/scene"
	"zygonos/core/parts"
	"zygonos/core/plan"
	"zygonos/core/rig"
)

// drillHole is a hole in a member: from its beginning, off its middle across it, m.
type drillHole struct {
	at, off, size float64
	beside        int  // so many side by side
	mirrored      bool // known by the counterpart on the other side alone
}

// sameHole is within which two holes are one, m.
const sameHole = 0.003

// drillView is a member laid flat with its holes by their places from its beginning: those that are drawn in it, those of its
// bolted joints, and those that its counterpart on the other side has and it lacks. nil where there is none.
func drillView(r *rig.Rig, b, mirror *parts.FrameBar) *scene.View {
	holes := holesOf(r, b)
	if mirror != nil {
		for _, h := range mirroredHoles(b, mirror, holesOf(r, mirror)) {
			if !slices.ContainsFunc(holes, func(o drillHole) bool { return math.Abs(o.at-h.at) < sameHole }) {
				h.mirrored = true
				holes = append(holes, h)
			}
		}
	}
	if len(holes) == 0 {
		return nil
	}
	slices.SortFunc(
		holes,
		func(a, c drillHole) int { return cmp.Or(cmp.Compare(a.at, c.at), cmp.Compare(a.off, c.off)) },
	)
	high := math.Max(math.Max(b.High, b.Wide), 0.03)
	v := &scene.View{
		ID:     "drill",
		Title:  said.Say("Where the holes come, from where it begins"),
		Shapes: []scene.Shape{},
	}
	v.Shapes = append(v.Shapes, scene.Rect("load", "", 0, -high/2, b.Length, high/2))
	for n, h := range holes {
		says := said.Say("% · ⌀ %", said.Length(h.at), said.Length(h.size))
		if h.beside > 1 {
			says = append(says, said.Say(", % side by side", said.Count(h.beside))...)
		}
		if h.mirrored {
			says = append(says, said.Say(", as in %", said.Name(mirror.Member.Name, "the other"))...)
		}
		v.Shapes = append(v.Shapes, scene.Disc("ring", h.at, h.off, math.Max(h.size/2, 0.004)))
		if n > 0 && math.Abs(h.at-holes[n-1].at) < sameHole {
			continue // one place from the end, beside the last one
		}
		v.Shapes = append(v.Shapes, scene.Label("note", "middle", h.at, high/2+0.06*float64(n%3+1), says))
	}
	v.Min, v.Max = scene.Point{-0.05, -high/2 - 0.05}, scene.Point{b.Length + 0.05, high/2 + 0.26}
	return v
}

// holesOf are a member's holes. Bolts of a joint stand in two rows along the member whose end it is, their gauge apart, about
// the place where the two meet, half of them side by side in each, an odd one between: as the strength of the joint takes them.
func holesOf(r *rig.Rig, b *parts.FrameBar) (holes []drillHole) {
	for _, c := range b.Member.Cuts {
		if c.What == plan.CutHole {
			holes = append(
				holes,
				drillHole{at: float64(c.At), off: float64(c.Off), size: float64(c.Size), beside: 1},
			)
		}
	}
	for _, j := range bolted(jointsOf(r.Drawn)) {
		if j.kind != plan.JointBolt || r.Drawn.Bars[j.a].ID != b.ID && r.Drawn.Bars[j.b].ID != b.ID {
			continue
		}
		end := &r.Drawn.Bars[j.end]
		size := float64(end.Member.Bolt)
		if t, known := norms.ThreadOf(size); known {
			size = t.Hole
		}
		n, half := end.Member.Bolts, float64(end.Member.BoltGauge)/2
		for _, row := range []struct {
			along  float64
			beside int
		}{{-half, n / 2}, {0, n % 2}, {half, n / 2}} {
			if row.beside == 0 {
				continue
			}
			along := row.along
			p := r3.Sub(r3.Add(j.at, r3.Scale(along, end.Axes[0])), b.From)
			h := drillHole{at: r3.Dot(p, b.Axes[0]), size: size, beside: row.beside}
			if math.Abs(r3.Dot(end.Axes[0], b.Axes[0])) < 0.9 { // the row runs across this one
				h.off = along
			}
			if h.at > 0 && h.at < b.Length && math.Abs(h.off) < math.Max(b.High, b.Wide)/2 {
				holes = append(holes, h)
			}
		}
	}
	return holes
}

// mirroredHoles are the counterpart's holes as they lie in b: from the same end, to the other side of the middle.
func mirroredHoles(b, mirror *parts.FrameBar, holes []drillHole) []drillHole {
	turned := r3.Norm(r3.Sub(r3.Vec{X: mirror.From.X, Y: -mirror.From.Y, Z: mirror.From.Z}, b.From)) > 0.02
	out := slices.Clone(holes)
	for i := range out {
		if turned {
			out[i].at = b.Length - out[i].at
		} else {
			out[i].off = -out[i].off
		}
	}
	return out
}
