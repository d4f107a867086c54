package begin

import (
	"zygonos/core/lang/finding"
	"zygonos/core/parts"
	"zygonos/core/plan"
)

// vents drills what a frame lacks for the zinc bath: a pair of holes near each shut end.
func vents(p *plan.Plan, q *Asked) ([]finding.Op, error) {
	t := p.Trailers[q.Trailer]
	if t.Frame == nil || len(t.Frame.Members) == 0 {
		return nil, Refusal("There is no frame yet to vent.")
	}
	out := parts.VentOps(t.Frame, "/trailers/"+q.Trailer+"/frame/members/", q.ID)
	if len(out) == 0 {
		return nil, Refusal("Every closed member is open or vented at both ends already.")
	}
	return out, nil
}
