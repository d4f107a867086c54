package begin

import (
	"strconv"

	"zygonos/core/lang/finding"
	"zygonos/core/parts"
	"zygonos/core/plan"
)

// vents drills what a frame lacks for the zinc bath: a pair of holes near each shut end.
func vents(p *plan.Plan, q *Asked) ([]finding.Op, error) {
	t := p.Trailers[q.Trailer]
	if t.Frame == nil || len(t.Frame.Members) == 0 {
		return nil, Refusal("No frame is drawn that could be vented.")
	}
	var out []finding.Op
	missing := parts.Vents(t.Frame)
	for _, id := range plan.Ordered(t.Frame.Members, func(m plan.Member) int { return m.Order }) {
		m := t.Frame.Members[id]
		if len(missing[id]) == 0 {
			continue
		}
		cuts := map[string]plan.MemberCut{}
		last := 0
		for k, c := range m.Cuts {
			cuts[k] = c
			last = max(last, c.Order)
		}
		for i, c := range missing[id] {
			c.Order = last + i + 1
			key := q.ID + "-" + strconv.Itoa(i)
			cuts[key] = c
		}
		out = append(out, add("/trailers/"+q.Trailer+"/frame/members/"+id+"/cuts", cuts))
	}
	if len(out) == 0 {
		return nil, Refusal("Every closed member is open or vented at both ends already.")
	}
	return out, nil
}
