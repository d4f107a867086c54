package rig

import (
	"strings"

	"zygonos/core/plan"
	"zygonos/core/sums/tipping"
)

// Tip is a bed that empties itself, with its gear and what is on it; places behind the front board, over the deck.
type Tip struct {
	Told   *plan.Tipping
	Gear   tipping.Gear
	Stop   float64          // rad
	Heavy  []tipping.Weight // bed and load at their most, the load as far forward as its place allows
	Likely []tipping.Weight // as they are most likely
	Back   []tipping.Weight // bed at its least, the load at its most and as far to the rear as its place allows
	Loads  []int            // items on the bed
	Stays  bool             // down: what is on it is nothing that is poured or piled
}

// bedUp is how high a bed's own centre lies over the deck, m (practice, C).
const bedUp = 0.05

var tipKinds = map[plan.TipBy]tipping.Kind{
	plan.TipByMast: tipping.Line, plan.TipBySwing: tipping.Swing, plan.TipByCylinder: tipping.Cylinder,
	plan.TipByLever: tipping.Lever, plan.TipByHand: tipping.Hand,
}

// TipSpot is a place of the plan as the mechanics count it.
func TipSpot(s plan.TipSpot) tipping.Vec { return tipping.Vec{X: float64(s.Back), Z: float64(s.Up)} }

// TipGear is what raises a bed.
func TipGear(t *plan.Tipping) tipping.Gear {
	return tipping.Gear{
		Kind: tipKinds[t.By], Hinge: TipSpot(t.Hinge), Pick: TipSpot(t.Pick), Top: TipSpot(t.Top), Foot: TipSpot(t.Foot),
		Drum: TipSpot(t.Drum), Knee: TipSpot(t.Knee),
	}
}

// Tip is the trailer's bed with the outing's load; nil where none is told, or too little of it.
func (r *Rig) Tip() *Tip {
	t := r.Trailer.Tipping
	if t == nil || t.Mass == nil || t.Stop == nil || r.DeckFront == nil || r.Trailer.DeckLength == nil {
		return nil
	}
	if _, known := tipKinds[t.By]; !known {
		return nil
	}
	from := 0.0
	if t.From != nil {
		from = float64(*t.From)
	}
	out := &Tip{Told: t, Gear: TipGear(t), Stop: *t.Stop}
	long := r.DeckLength()
	middle := tipping.Vec{X: (from + long) / 2, Z: bedUp}
	m := t.Mass.Range(r.Plan).Floats()
	out.Heavy = append(out.Heavy, tipping.Weight{Kg: m.High, Centre: middle})
	out.Likely = append(out.Likely, tipping.Weight{Kg: m.Nominal, Centre: middle})
	out.Back = append(out.Back, tipping.Weight{Kg: m.Low, Centre: middle})
	front, deck := r.DeckFront.Nominal, r.DeckHeight()
	loose := false
	for i := range r.Items {
		it := &r.Items[i]
		if it.Mass == nil || it.Part || !strings.HasPrefix(it.Path, "/loads/") {
			continue
		}
		at := tipping.Vec{X: it.X - front, Z: it.Z - deck}
		if at.X < from || at.X > long {
			continue
		}
		out.Loads = append(out.Loads, i)
		loose = loose || it.Load != nil && (it.Load.Bulk != nil || it.Load.Pieces != nil)
		ahead := at
		ahead.X -= float64(plan.PlaceDoubt)
		out.Heavy = append(out.Heavy, tipping.Weight{Kg: it.Mass.High, Centre: ahead})
		out.Likely = append(out.Likely, tipping.Weight{Kg: it.Mass.Nominal, Centre: at})
		at.X += float64(plan.PlaceDoubt)
		out.Back = append(out.Back, tipping.Weight{Kg: it.Mass.High, Centre: at})
	}
	out.Stays = len(out.Loads) > 0 && !loose
	return out
}
