package begin

import (
	"math"

	"zygonos/core/lang/finding"
	"zygonos/core/lang/quantity"
	"zygonos/core/plan"
)

// What a bed that tips begins with (practice, C); every place can be taken and moved.
const (
	tipStop   = 45 * math.Pi / 180
	tipBed    = 35.0 // kg a m² of a steel floor with its sides
	tipUnder  = 0.12 // m that the hinge lies under the deck
	tipBehind = 0.35 // m that it lies behind the axle
	tipRoom   = 1.15 // times the height at which the line would point through the hinge at the stop
)

// tip lays the places of a bed's gear out for a deck; Kind names what raises it.
func tip(p *plan.Plan, q *Asked) ([]finding.Op, error) {
	long, wide := deck(p, q.Trailer)
	t := p.Trailers[q.Trailer]
	l := float64(long)
	hinge := l - 0.15
	if t.CouplingToAxle != nil && t.CouplingToDeck != nil {
		behind := float64(t.CouplingToAxle.Value-t.CouplingToDeck.Value) + tipBehind
		hinge = math.Max(l/2, math.Min(hinge, behind))
	}
	spot := func(back, up float64) plan.TipSpot { return plan.TipSpot{Back: mm(back), Up: mm(up)} }
	n := plan.Tipping{
		By: plan.TipBy(q.Kind), Hinge: spot(hinge, -tipUnder), Stop: new(tipStop), Prop: true,
		Mass: &plan.MassEstimate{Value: quantity.Mass(math.Round(l * float64(wide) * tipBed)), How: plan.Guessed},
	}
	switch n.By {
	case plan.TipBySwing:
		n.Pick, n.Foot, n.Parts = spot(0.3*hinge, 0), spot(0.1, 0), 2
		n.Top, n.Drum = spot(0.45*hinge, 0.9*hinge), spot(-0.6, 0.1)
	case plan.TipByCylinder:
		n.Pick, n.Foot = spot(0.45*hinge, -0.05), spot(0.2*hinge, -0.35)
	case plan.TipByLever:
		n.Pick, n.Foot, n.Top = spot(0.45*hinge, -0.05), spot(0.75*hinge, -0.2), spot(0.3*hinge, -0.25)
		n.Knee, n.Drum = spot(0.5*hinge, -0.1), spot(0.1*hinge, -0.3)
	case plan.TipByHand:
		n.Pick = spot(0.05, 0)
	default: // nobody said: as most begin
		n.By, n.Pick, n.Parts = plan.TipByMast, spot(0.05, 0), 2
		n.Foot = spot(0, -tipUnder)
		x := 0.45 * hinge
		n.Top = spot(x, (hinge-x)*math.Tan(tipStop)*tipRoom)
	}
	return []finding.Op{add("/trailers/"+q.Trailer+"/tipping", n)}, nil
}

// Gas struts begin as two that carry half of the empty bed, as far before the hinge as their stroke allows but for a third
// of its way to the front, their feet a little before and one closed length lower (practice, C).
const (
	strutClosed = 0.45
	strutOpen   = 0.80
	strutUsed   = 0.30 // of the stroke, m
	strutAt     = 0.3
)

// gasStruts puts two gas struts under a bed that tips.
func gasStruts(p *plan.Plan, q *Asked) ([]finding.Op, error) {
	n := p.Trailers[q.Trailer].Tipping
	if n == nil {
		return nil, Refusal("First say how the bed tips.")
	}
	t := *n
	hinge := float64(t.Hinge.Back)
	before := hinge * strutAt
	if t.Stop != nil && *t.Stop > 0 { // as a chord: 2·r·sin(θ/2)
		before = math.Min(before, strutUsed/(2*math.Sin(*t.Stop/2)))
	}
	x := hinge - before
	long, _ := deck(p, q.Trailer)
	lever := math.Max(0.1, hinge-float64(long)/2)
	bed := 60.0 // kg, where its weight is not stated
	if t.Mass != nil && t.Mass.Value > 0 {
		bed = float64(t.Mass.Value)
	}
	whole := 0.0
	for _, p := range t.Pieces {
		if p.Mass != nil {
			whole += float64(p.Mass.Value)
		}
	}
	if whole > 0 {
		bed = whole
	}
	push := bed * quantity.Gravity * lever / 2 / math.Max(0.1, before) / 2 // half of its moment, by two
	t.Struts = 2
	t.StrutPush = new(quantity.Force(math.Max(50, math.Round(push/50)*50)))
	t.StrutClosed, t.StrutOpen = new(quantity.Length(strutClosed)), new(quantity.Length(strutOpen))
	t.StrutPick = plan.TipSpot{Back: mm(x), Up: 0}
	t.StrutFoot = plan.TipSpot{Back: mm(x - 0.05), Up: -mm(strutClosed + 0.02)}
	return []finding.Op{add("/trailers/"+q.Trailer+"/tipping", t)}, nil
}

// piece is another piece of a bed that tips, in the middle of the bed until it is taped.
func piece(p *plan.Plan, q *Asked) ([]finding.Op, error) {
	t := p.Trailers[q.Trailer].Tipping
	if t == nil {
		return nil, Refusal("First say how the bed tips.")
	}
	long, _ := deck(p, q.Trailer)
	from := quantity.Length(0)
	if t.From != nil {
		from = *t.From
	}
	last := 0
	for _, x := range t.Pieces {
		last = max(last, x.Order)
	}
	n := plan.TipPiece{Order: last + 1, At: plan.TipSpot{Back: mm(float64(from+long) / 2)}}
	return into(t.Pieces != nil, "/trailers/"+q.Trailer+"/tipping/pieces", q.ID, n), nil
}
