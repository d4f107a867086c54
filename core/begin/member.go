package begin

import (
	"maps"
	"math"
	"slices"

	"zygonos/core/lang/finding"
	"zygonos/core/lang/quantity"
	"zygonos/core/plan"
)

// apart is how far behind the member in hand one more like it begins, m.
const apart quantity.Length = 0.15

// member makes one member more of a drawn frame, from the one in hand (Of): like it a little behind it
// (add, or By behind it), on the other side (mirror), or its rear half (split: At m from its beginning, the
// middle where that is zero).
func member(p *plan.Plan, q *Asked) ([]finding.Op, error) {
	t := p.Trailers[q.Trailer]
	if t.Frame == nil || len(t.Frame.Members) == 0 {
		return nil, Refusal("There is no frame yet to add a member to.")
	}
	if q.ID == "" {
		return nil, Refusal("The new member has no key.")
	}
	path := "/trailers/" + q.Trailer + "/frame/members/"
	m, held := t.Frame.Members[q.Of]
	if !held {
		m = likely(t.Frame)
	}
	last := 0
	for _, o := range t.Frame.Members {
		last = max(last, o.Order)
	}
	name := m.Name
	m.Order = last + 1
	switch q.Kind {
	case "add":
		by := q.By
		if by == 0 {
			by = apart
		}
		m.Name = "new member"
		m.From.Back, m.To.Back = m.From.Back+by, m.To.Back+by
		return []finding.Op{add(path+q.ID, m)}, nil
	case "mirror":
		if !held {
			return nil, Refusal("Select the member to mirror.")
		}
		m.Name = name + ", mirrored"
		m.From.Right, m.To.Right, m.Roll = -m.From.Right, -m.To.Right, -m.Roll
		m.Cuts = mirrored(m.Cuts)
		return []finding.Op{add(path+q.ID, m)}, nil
	case "split":
		if !held {
			return nil, Refusal("Select the member to split.")
		}
		return split(path, q, t.Frame.Members[q.Of], m.Order)
	}
	return nil, Refusal("A member is added, mirrored or split.")
}

// likely is what a first new member is like: a cross member, else the first.
func likely(f *plan.Frame) plan.Member {
	ids := plan.Ordered(f.Members, func(m plan.Member) int { return m.Order })
	for _, id := range ids {
		if f.Members[id].Role == plan.RoleCross {
			return f.Members[id]
		}
	}
	return f.Members[ids[0]]
}

// mirrored are a member's cuts on the other side.
func mirrored(cuts map[string]plan.MemberCut) map[string]plan.MemberCut {
	out := maps.Clone(cuts)
	for id, c := range out {
		switch c.Face {
		case plan.FaceLeft:
			c.Face = plan.FaceRight
		case plan.FaceRight:
			c.Face = plan.FaceLeft
		}
		out[id] = c
	}
	return out
}

// split cuts a member in two: both halves stay where they are and are welded there.
func split(path string, q *Asked, held plan.Member, order int) ([]finding.Op, error) {
	d := [3]quantity.Length{
		held.To.Back - held.From.Back,
		held.To.Right - held.From.Right,
		held.To.Up - held.From.Up,
	}
	long := math.Sqrt(float64(d[0]*d[0] + d[1]*d[1] + d[2]*d[2]))
	at := float64(q.At)
	if at == 0 {
		at = long / 2
	}
	if !(at > 0) || !(at < long) {
		return nil, Refusal("The place is beyond its ends.")
	}
	s := quantity.Length(at / long)
	mid := plan.FramePoint{
		Back: held.From.Back + s*d[0], Right: held.From.Right + s*d[1], Up: held.From.Up + s*d[2],
	}
	front, rear := held, held
	rear.Order = order
	front.To, front.ToJoint = mid, plan.JointWeld
	rear.Name, rear.From, rear.FromJoint = held.Name+", rest", mid, plan.JointWeld
	front.Cuts, rear.Cuts = map[string]plan.MemberCut{}, map[string]plan.MemberCut{}
	for _, id := range slices.Sorted(maps.Keys(held.Cuts)) {
		c := held.Cuts[id]
		if float64(c.At) < at {
			front.Cuts[id] = c
			continue
		}
		c.At -= quantity.Length(at)
		rear.Cuts[id] = c
	}
	return []finding.Op{add(path+q.Of, front), add(path+q.ID, rear)}, nil
}
