package rig

import (
	"strings"

	"zygonos/core/lang/quantity"
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
	Bed    quantity.Range[float64]
	Warm   tipping.Gear // with its struts as they push when warm and new
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
		Drum: TipSpot(t.Drum), Knee: TipSpot(t.Knee), Struts: struts(t, strutCold, strutEven),
	}
}

// A gas strut pushes in proportion to the absolute temperature, its rating that at 20 °C: 253/293 in hard frost, less
// a little of its age, 313/293 in the sun; closed 1.2 to 1.4 times as much as open (B).
const (
	strutCold  = 0.82
	strutWarm  = 1.07
	strutEven  = 1.2
	strutSteep = 1.4
)

// struts are a bed's gas struts, all alike as one; none where their push or lengths are not known.
func struts(t *plan.Tipping, times, rise float64) []tipping.Strut {
	if t.Struts < 1 || t.StrutPush == nil || t.StrutClosed == nil || t.StrutOpen == nil {
		return nil
	}
	return []tipping.Strut{{
		Foot: TipSpot(
			t.StrutFoot,
		), Pick: TipSpot(t.StrutPick), Push: float64(t.Struts) * float64(*t.StrutPush) * times,
		Rise: rise, Closed: float64(*t.StrutClosed), Open: float64(*t.StrutOpen),
	}}
}

// Tip is the trailer's bed with the outing's load; nil where none is stated, or too little of it.
func (r *Rig) Tip() *Tip {
	t := r.Trailer.Tipping
	if t == nil || t.Stop == nil || r.DeckFront == nil || r.Trailer.DeckLength == nil {
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
	out.Warm = out.Gear
	out.Warm.Struts = struts(t, strutWarm, strutSteep)
	long := r.DeckLength()
	m, middle, ok := r.tipBed(t, tipping.Vec{X: (from + long) / 2, Z: bedUp})
	if !ok {
		return nil
	}
	out.Bed = m
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

// tipBed is what a bed weighs by itself and where its centre lies: stated as a whole, about the middle of the bed; or the
// sum of its pieces, each at its place. It is false where a weight is missing.
func (r *Rig) tipBed(t *plan.Tipping, middle tipping.Vec) (m quantity.Range[float64], centre tipping.Vec, ok bool) {
	if len(t.Pieces) == 0 {
		if t.Mass == nil {
			return m, middle, false
		}
		return t.Mass.Range(r.Plan).Floats(), middle, true
	}
	for _, id := range plan.Ordered(t.Pieces, func(p plan.TipPiece) int { return p.Order }) {
		p := t.Pieces[id]
		if p.Mass == nil {
			return m, middle, false
		}
		each, at := p.Mass.Range(r.Plan).Floats(), TipSpot(p.At)
		centre.X += each.Nominal * at.X
		centre.Z += each.Nominal * at.Z
		m.Low, m.Nominal, m.High = m.Low+each.Low, m.Nominal+each.Nominal, m.High+each.High
	}
	if !(m.Nominal > 0) {
		return m, middle, false
	}
	centre.X, centre.Z = centre.X/m.Nominal, centre.Z/m.Nominal
	return m, centre, true
}
