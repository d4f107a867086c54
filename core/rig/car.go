package rig

import (
	"zygonos/core/lang/finding"
	"zygonos/core/lang/said"
)

// CarMass is the car ready to drive with people and luggage.
func (r *Rig) CarMass() (*span, []finding.Need) {
	vp := "/towVehicles/" + r.VehicleID
	var needs []finding.Need
	if r.Vehicle.Kerb == nil {
		needs = append(
			needs,
			finding.Need{
				Path:  vp + "/kerb",
				Says:  said.Say("the car's {curb weight}"),
				Where: said.Say("Read the papers or the handbook."),
			},
		)
	}
	if r.Outing.People == nil {
		needs = append(
			needs,
			finding.Need{
				Path:  "/outings/" + r.Scope.Outing + "/people",
				Says:  said.Say("the weight of the people"),
				Where: said.Say("Count them, and the driver too."),
			},
		)
	}
	if needs != nil {
		return nil, needs
	}
	k, p := r.Vehicle.Kerb.Range(r.Plan).Floats(), r.Outing.People.Range(r.Plan).Floats()
	sum := span{Nominal: k.Nominal + p.Nominal, Low: k.Low + p.Low, High: k.High + p.High}
	if g := r.Outing.Gear; g != nil {
		s := g.Range(r.Plan).Floats()
		sum = span{Nominal: sum.Nominal + s.Nominal, Low: sum.Low + s.Low, High: sum.High + s.High}
	}
	return &sum, nil
}

// Shares of people and luggage that press on the car's rear axle: practice,
// front seats lie near the middle of the wheelbase, the boot over or behind
// the axle.
var (
	PeopleRear = span{Nominal: 0.55, Low: 0.40, High: 0.75}
	GearRear   = span{Nominal: 1.00, Low: 0.80, High: 1.20}
)

// CarRear is what the car's rear axle bears: empty, people and luggage by
// their shares, and the ball load on its lever R_ball·(wb + o)/wb.
func (r *Rig) CarRear(ball *span) (*span, []finding.Need) { return r.carRear(ball, true) }

// CarRearLoading is what it bears while a machine gets on: everybody has got out, to load or
// to drive the machine; the luggage stays.
func (r *Rig) CarRearLoading(ball *span) (*span, []finding.Need) { return r.carRear(ball, false) }

func (r *Rig) carRear(ball *span, people bool) (*span, []finding.Need) {
	v, vp := r.Vehicle, "/towVehicles/"+r.VehicleID
	var needs []finding.Need
	need := func(missing bool, field, says, where string) {
		if missing {
			needs = append(needs, finding.Need{Path: vp + field, Says: said.Say(says), Where: said.Say(where)})
		}
	}
	need(
		v.RearEmpty == nil,
		"/rearEmpty",
		"what the car's rear axle weighs empty",
		"Drive only the rear wheels onto a {weighbridge}.",
	)
	need(
		v.Wheelbase == nil,
		"/wheelbase",
		"the car's wheelbase",
		"Tape between the wheels' middles, or read the handbook.",
	)
	need(v.RearOverhang == nil, "/rearOverhang", "the distance from rear axle to ball", "Tape it.")
	if people && r.Outing.People == nil {
		needs = append(
			needs,
			finding.Need{
				Path:  "/outings/" + r.Scope.Outing + "/people",
				Says:  said.Say("the weight of the people"),
				Where: said.Say("Count them, and the driver too."),
			},
		)
	}
	if ball == nil {
		needs = append(needs, r.Needs...)
	}
	if needs != nil || ball == nil {
		return nil, needs
	}
	k := Lever(float64(v.Wheelbase.Value), float64(v.RearOverhang.Value))
	e, p := v.RearEmpty.Range(r.Plan).Floats(), span{}
	if people {
		p = r.Outing.People.Range(r.Plan).Floats()
	}
	sum := span{
		Nominal: e.Nominal + p.Nominal*PeopleRear.Nominal + ball.Nominal*k,
		Low:     e.Low + p.Low*PeopleRear.Low + ball.Low*k,
		High:    e.High + p.High*PeopleRear.High + ball.High*k,
	}
	if r.Outing.Gear != nil {
		g := r.Outing.Gear.Range(r.Plan).Floats()
		sum.Nominal += g.Nominal * GearRear.Nominal
		sum.Low += g.Low * GearRear.Low
		sum.High += g.High * GearRear.High
	}
	return &sum, nil
}

// Lever is how much each kilogram on the ball adds to the car's rear axle:
// (wb + o)/wb, with the wheelbase wb and the overhang o from rear axle to
// ball, m. The front axle loses the rest, o/wb.
func Lever(wheelbase, overhang float64) float64 { return (wheelbase + overhang) / wheelbase }
