package hands

import (
	"math"

	"zygonos/core/facts/catalogue"
	"zygonos/core/lang/finding"
	"zygonos/core/lang/said"
	"zygonos/core/plan"
	"zygonos/core/rig"
)

// CodeLatch is the code of the finding on a hand at a latch.
const CodeLatch = "hands.latch"

// latches looks at the hand that opens a gate, a side, a folding deck, a jockey wheel: a ball of the
// lever's or pin's length and the knuckles about each latch, against all that stands beside the part.
func latches(r *rig.Rig) (out []finding.Finding) {
	for i := range r.Items {
		it := &r.Items[i]
		part := r.Plan.Parts[it.ID]
		if !it.Part || part.Latch == nil || part.Latch.Handle <= 0 {
			continue
		}
		radius := float64(part.Latch.Handle) + knuckles
		least, by := math.Inf(1), said.Piece{}
		for _, at := range places(it, &part) {
			d, thing := nearest(r, it, at, radius)
			if d < least {
				least, by = d, thing
			}
		}
		f := finding.Finding{
			Code: CodeLatch, Stage: "trailer", Scope: r.Scope, Subject: it.Path,
			Title:   said.Say("%: room for the hand", said.Name(part.Name, "a part")),
			Outcome: finding.Holds, Source: practice,
		}
		hand := said.Say("The hand at the latch of %", said.Name(part.Name, "the part"))
		if math.IsInf(least, 1) {
			f.Says = append(hand, said.Say(" meets nothing: it sweeps % round.", said.Length(radius))...)
			out = append(out, f)
			continue
		}
		out = append(out, judged(f, hand, least, by, "Move the load or the latch, or open it before loading."))
	}
	return out
}

// point is a place, m: behind the ball, to the right, above the ground.
type point struct{ x, y, z float64 }

// places are where the latches of a part stand: on the face that it opens to, one in the middle,
// two and more at both sides, as high as stated or at its top.
func places(it *rig.Item, part *plan.Part) []point {
	l := part.Latch
	kind, _ := catalogue.HingedOf(part.Kind)
	opens := plan.Opens(kind.Opens)
	if l.Opens != "" {
		opens = l.Opens
	}
	z := it.Top
	if l.Up != nil {
		z = it.Bottom + float64(*l.Up)
	}
	x, y := (it.Front+it.Rear)/2, (it.Left+it.Right)/2
	ends := func(low, mid, high float64) []float64 {
		if l.Count > 1 {
			return []float64{low, high}
		}
		return []float64{mid}
	}
	var out []point
	switch opens {
	case plan.OpensSide:
		side := it.Right
		if y < 0 {
			side = it.Left
		}
		for _, at := range ends(it.Front, x, it.Rear) {
			out = append(out, point{at, side, z})
		}
		return out
	case plan.OpensRear:
		x = it.Rear
	case plan.OpensFront:
		x = it.Front
	}
	for _, at := range ends(it.Left, y, it.Right) {
		out = append(out, point{x, at, z})
	}
	return out
}

// nearest is what stands nearest to a hand, and how far from what it sweeps, m. What stands in and
// under a frame is beside it, so a frame that others stand in is passed over.
func nearest(r *rig.Rig, own *rig.Item, at point, radius float64) (float64, said.Piece) {
	least, by := math.Inf(1), said.Piece{}
	for i := range r.Items {
		it := &r.Items[i]
		if it == own || it.ID == own.ID && it.Part == own.Part || it.Open || it.Carrier == own.ID {
			continue
		}
		dx, dy := max(it.Front-at.x, 0, at.x-it.Rear), max(it.Left-at.y, 0, at.y-it.Right)
		dz := max(it.Bottom-at.z, 0, at.z-it.Top)
		if d := math.Sqrt(dx*dx+dy*dy+dz*dz) - radius; d < least {
			least, by = d, said.Name(it.Name, "what stands there")
		}
	}
	return least, by
}
