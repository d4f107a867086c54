package begin

import (
	"zygonos/core/lang/finding"
	"zygonos/core/lang/quantity"
	"zygonos/core/plan"
)

// box begins a body over the whole deck: low sides, a cage or a box with a roof, of tube and plywood (practice, C). Kind is
// "sides", "cage" or "box".
func box(p *plan.Plan, q *Asked) ([]finding.Op, error) {
	l, ok := p.Outings[q.Outing].Layouts[q.Trailer]
	if !ok {
		return nil, Refusal("The outing is not loaded on this trailer.")
	}
	long, wide := deck(p, q.Trailer)
	b := plan.BoxBody{
		Long: long, Wide: wide, High: 0.4, Apart: new(quantity.Length(0.6)),
		Stick: plan.Profile{Shape: "tube", Height: 0.03, Width: 0.03, Wall: 0.002, Material: "s235"},
		Skin:  "plywood", SkinThick: new(quantity.Length(0.012)), Bolts: 6, BoltAcross: new(quantity.Length(0.008)), BoltGrade: "8.8",
		Latches: 2,
	}
	name := "Sides"
	switch q.Kind {
	case "cage":
		name, b.High, b.SkinThick, b.Skin, b.Braced = "Cage", 1.2, nil, "", plan.BracedDiagonals
	case "box":
		name, b.High, b.Roof, b.SkinThick, b.Braced = "Box", 1.5, true, new(quantity.Length(0.009)), plan.BracedSkin
	}
	part := plan.Part{Order: next(p), Name: name, Box: &b}
	return append([]finding.Op{add("/parts/"+q.ID, part)},
		into(l.Parts != nil, "/outings/"+q.Outing+"/layouts/"+q.Trailer+"/parts", q.ID, plan.PartOn{})...), nil
}
