package begin

import (
	"math"

	"zygonos/core/lang/finding"
	"zygonos/core/lang/quantity"
	"zygonos/core/parts"
	"zygonos/core/plan"
)

// axleTube is the tube that a notch for the axle is as long as, where nothing is stated, m (practice, C).
const axleTube quantity.Length = 0.060

// seat notches the rails for the axle, By deep and At long, in their underside over each axle.
func seat(p *plan.Plan, q *Asked) ([]finding.Op, error) {
	t := p.Trailers[q.Trailer]
	switch {
	case t.Frame == nil || len(t.Frame.Members) == 0:
		return nil, Refusal("There is no frame yet whose rails could be notched.")
	case !(q.By > 0):
		return nil, Refusal("Enter how deep the notch is.")
	}
	long := q.At
	if !(long > 0) {
		long = axleTube
	}
	if t.CouplingToAxle == nil || t.CouplingToDeck == nil {
		return nil, refused(p, "The position of the axle is not known: enter how far it is behind the {coupling}.")
	}
	if t.AxleCount() > 1 && t.AxleGap == nil {
		return nil, Refusal("Enter how far apart the axles are.")
	}
	n, gap := t.AxleCount(), 0.0
	if n > 1 {
		gap = float64(*t.AxleGap)
	}
	middle := float64(t.CouplingToAxle.Value - t.CouplingToDeck.Value)
	var out []finding.Op
	for _, b := range parts.FrameBars(t.Frame) {
		if b.Member.Role != plan.RoleRail || math.Abs(b.Axes[0].X) < 0.9 {
			continue
		}
		for i := range n {
			x := middle + (float64(i)-float64(n-1)/2)*gap
			at := (x - b.From.X) / b.Axes[0].X
			if at < 0 || at > b.Length {
				continue
			}
			if float64(q.By) >= b.High {
				return nil, Refusal("That would cut " + b.Member.Name + " through.")
			}
			cut := plan.MemberCut{
				Order: len(b.Member.Cuts) + i + 1, What: plan.CutNotch, Face: plan.FaceBottom,
				At: mm(at), Size: q.By, Long: long,
			}
			path := "/trailers/" + q.Trailer + "/frame/members/" + b.ID + "/cuts"
			id := q.ID + "-" + string(rune('a'+i))
			if len(b.Member.Cuts) == 0 && i == 0 {
				out = append(out, add(path, map[string]any{id: cut}))
				continue
			}
			out = append(out, add(path+"/"+id, cut))
		}
	}
	if len(out) == 0 {
		return nil, Refusal("No rail runs over the axle.")
	}
	return out, nil
}
