package begin

import (
	"maps"
	"math"
	"slices"

	"zygonos/core/lang/finding"
	"zygonos/core/lang/quantity"
	"zygonos/core/plan"
)

// beside is how far from the middle a member's end lies on one side, m.
const beside = 0.05

// stretch makes a drawn frame longer or wider, or its drawbar longer (Kind), by Asked.By. Longer: what lies
// behind Asked.At goes back; members across that place grow. Wider: either side goes out by half. The deck
// grows with it; the axle, its track and the loads stay where they are.
func stretch(p *plan.Plan, q *Asked) ([]finding.Op, error) {
	t := p.Trailers[q.Trailer]
	by := q.By
	switch {
	case t.Frame == nil || len(t.Frame.Members) == 0:
		return nil, Refusal("There is no frame yet to stretch.")
	case by == 0 || math.Abs(float64(by)) > 4:
		return nil, Refusal("Enter by how much, up to 4 m; a minus sign makes it shorter.")
	}
	path := "/trailers/" + q.Trailer
	var move func(end plan.FramePoint) plan.FramePoint
	var lengths []finding.Op
	grow := func(field string, e *plan.LengthEstimate, by quantity.Length) error {
		if e == nil {
			return nil
		}
		if e.Value+by <= 0.1 {
			return Refusal("That would leave nothing of it.")
		}
		lengths = append(
			lengths,
			finding.Op{Op: "add", Path: path + "/" + field + "/value", Value: mm(float64(e.Value + by))},
		)
		return nil
	}
	var err error
	switch q.Kind {
	case "longer":
		move = func(e plan.FramePoint) plan.FramePoint {
			if e.Back > q.At {
				e.Back += by
			}
			return e
		}
		err = grow("deckLength", t.DeckLength, by)
	case "wider":
		move = func(e plan.FramePoint) plan.FramePoint {
			switch {
			case e.Right > beside:
				e.Right += by / 2
			case e.Right < -beside:
				e.Right -= by / 2
			}
			return e
		}
		err = grow("deckWidth", t.DeckWidth, by)
	case "drawbar":
		move = func(e plan.FramePoint) plan.FramePoint {
			if e.Back < 0 {
				e.Back -= by
			}
			return e
		}
		if err = grow("couplingToDeck", t.CouplingToDeck, by); err == nil {
			err = grow("couplingToAxle", t.CouplingToAxle, by)
		}
	default:
		return nil, refused(p, "A frame is made longer, wider, or its {drawbar} longer.")
	}
	if err != nil {
		return nil, err
	}
	var out []finding.Op
	for _, id := range slices.Sorted(maps.Keys(t.Frame.Members)) {
		m := t.Frame.Members[id]
		from, to := move(m.From), move(m.To)
		if math.Signbit(float64(to.Back-from.Back)) != math.Signbit(float64(m.To.Back-m.From.Back)) &&
			m.To.Back != m.From.Back ||
			(to.Right-from.Right)*(m.To.Right-m.From.Right) < 0 {
			return nil, Refusal("Shortened that far, " + m.Name + " would turn round.")
		}
		if from != m.From {
			out = append(out, finding.Op{Op: "add", Path: path + "/frame/members/" + id + "/from", Value: from})
		}
		if to != m.To {
			out = append(out, finding.Op{Op: "add", Path: path + "/frame/members/" + id + "/to", Value: to})
		}
	}
	return append(out, lengths...), nil
}
