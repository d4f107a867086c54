package parts

import (
	"math"

	"gonum.org/v1/gonum/spatial/r3"

	"zygonos/core/plan"
	"zygonos/core/sums/section"
)

// BarCut is a stretch of a bar of which something is cut away, with what is left of its section there.
type BarCut struct {
	Cut      plan.MemberCut
	From, To float64 // m from the bar's beginning
	Net      section.Properties
	Twist    section.Torsion
	Y, Z     float64 // the left section's centre off the whole one's, in the bar's own axes, m
}

// Figures of cuts.
const (
	wideHole = 0.5   // of a face: a hole as wide opens a tube (practice, C)
	mostCuts = 100   // of one bar
	abreast  = 0.010 // m along the bar within which two cuts count as one (practice, C)
)

// cutsOf works out what is left of a bar at each of its cuts, with every other cut that lies beside it taken
// out as well; says is why the bar can bear nothing.
func cutsOf(b *FrameBar) (out []BarCut, says string) {
	if len(b.Member.Cuts) > mostCuts {
		return nil, "it has more cuts than can be worked out"
	}
	size := SizeOf(b.Member.Profile)
	ids := plan.Ordered(b.Member.Cuts, func(c plan.MemberCut) int { return c.Order })
	for _, id := range ids {
		c := b.Member.Cuts[id]
		if !(c.Size > 0) {
			return nil, "a cut in it has no size"
		}
		if c.At < 0 || float64(c.At) > b.Length {
			return nil, "a cut in it is beyond its end"
		}
		o := BarCut{Cut: c}
		half := stretch(&c) / 2
		o.From, o.To = math.Max(0, float64(c.At)-half), math.Min(b.Length, float64(c.At)+half)
		out = append(out, o)
	}
	for i := range out {
		var taken []section.Taken
		opened := false
		for k := range out {
			if out[k].From > out[i].To+abreast || out[k].To < out[i].From-abreast {
				continue
			}
			t, opens, ok := b.taken(&out[k].Cut)
			if !ok {
				return nil, "a cut lies in a face that is its end"
			}
			if t.Y0 >= b.Wide || t.Y1 <= 0 || t.Z0 >= b.High || t.Z1 <= 0 {
				return nil, "a hole lies beside it"
			}
			taken, opened = append(taken, t), opened || opens
		}
		plated, closed := closedAgain(size, &out[i].Cut, b)
		var err error
		if closed && len(taken) == 1 {
			if out[i].Net, err = section.Of(plated); err == nil {
				out[i].Twist, err = section.TorsionOf(plated)
			}
			axis, sign, _ := b.Face(out[i].Cut.Face)
			if by := -sign * float64(out[i].Cut.Size) / 2; axis == 2 {
				out[i].Z = by
			} else {
				out[i].Y = by
			}
		} else if out[i].Net, err = section.Net(size, taken); err == nil {
			out[i].Twist = section.NetTorsion(size, b.Twist, out[i].Net.Area/b.Section.Area, opened)
			out[i].Y, out[i].Z = out[i].Net.CentreY-b.Section.CentreY, out[i].Net.CentreZ-b.Section.CentreZ
		}
		if err != nil {
			return nil, "a cut goes right through it"
		}
	}
	return out, ""
}

// stretch is how long a cut is along its bar, m.
func stretch(c *plan.MemberCut) float64 {
	if c.What == plan.CutHole {
		return float64(c.Size)
	}
	return float64(c.Long)
}

// Face is the own side of a bar that looks where a cut's face does: axis 1 or 2 with its sign; ok is false
// where that is the bar's end.
func (b *FrameBar) Face(f plan.Face) (axis int, sign float64, ok bool) {
	to := map[plan.Face]r3.Vec{
		plan.FaceTop: {Z: 1}, plan.FaceBottom: {Z: -1}, plan.FaceLeft: {Y: -1},
		plan.FaceRight: {Y: 1}, plan.FaceFront: {X: -1}, plan.FaceRear: {X: 1},
	}
	v, known := to[f]
	if !known {
		v = r3.Vec{Z: 1}
	}
	best := 0.5 // a face that is turned farther away is none
	for a := 1; a <= 2; a++ {
		if d := r3.Dot(v, b.Axes[a]); math.Abs(d) > best {
			axis, sign, best = a, math.Copysign(1, d), math.Abs(d)
		}
	}
	return axis, sign, axis > 0
}

// taken is what a cut takes of the section, and whether it opens a closed wall.
func (b *FrameBar) taken(c *plan.MemberCut) (t section.Taken, opens, ok bool) {
	axis, sign, ok := b.Face(c.Face)
	if !ok {
		return t, false, false
	}
	high, wide := b.High, b.Wide
	d := float64(c.Size)
	if c.What == plan.CutHole { // through both walls, along the face's normal
		off := b.off(c, axis)
		if axis == 2 {
			return section.Taken{Y0: wide/2 + off - d/2, Y1: wide/2 + off + d/2, Z1: high}, d > wideHole*wide, true
		}
		return section.Taken{Z0: high/2 + off - d/2, Z1: high/2 + off + d/2, Y1: wide}, d > wideHole*high, true
	}
	t = section.Taken{Y1: wide, Z1: high}
	switch {
	case axis == 2 && sign > 0:
		t.Z0 = high - d
	case axis == 2:
		t.Z1 = d
	case sign > 0:
		t.Y0 = wide - d
	default:
		t.Y1 = d
	}
	return t, true, true
}

// off is how far a hole lies off the middle of its face along the bar's own other axis, m. It is stated to the
// right, to the rear or up, as the trailer stands.
func (b *FrameBar) off(c *plan.MemberCut, axis int) float64 {
	v := b.Axes[3-axis]
	to := v.Y
	switch {
	case math.Abs(v.Z) > 0.7:
		to = v.Z
	case math.Abs(v.X) > math.Abs(v.Y):
		to = v.X
	}
	return math.Copysign(1, to) * float64(c.Off)
}

// HoleAt is where a hole goes in, on the bar's middle line but for what it lies off its face's middle, in the
// deck's coordinates; ok is false where its face is the bar's end.
func (b *FrameBar) HoleAt(c *plan.MemberCut) (at r3.Vec, axis int, ok bool) {
	axis, _, ok = b.Face(c.Face)
	if !ok {
		return r3.Vec{}, 0, false
	}
	return r3.Add(b.At(float64(c.At)), r3.Scale(b.off(c, axis), b.Axes[3-axis])), axis, true
}

// closedAgain is the tube that a notch leaves where a plate closes it.
func closedAgain(s section.Size, c *plan.MemberCut, b *FrameBar) (section.Size, bool) {
	if !c.Closed || c.What != plan.CutNotch || s.Shape != section.Tube {
		return s, false
	}
	if axis, _, _ := b.Face(c.Face); axis == 2 {
		s.H -= float64(c.Size)
	} else {
		s.B -= float64(c.Size)
	}
	return s, true
}
