package towing

import (
	"zygonos/core/facts/norms"
	"zygonos/core/lang/finding"
	"zygonos/core/lang/quantity"
	"zygonos/core/lang/said"
	"zygonos/core/plan"
	"zygonos/core/rig"
)

// CodeLicence is the code of the finding on driving licences.
const CodeLicence = "towing.licence"

// licence tells which general licence the pair takes by its permissible masses, as the
// plates give them. It cannot know which one the driver holds: it decides no stage.
func licence(r *rig.Rig) (finding.Finding, bool) {
	f := finding.Finding{
		Code:     CodeLicence,
		Stage:    "vehicle",
		Scope:    r.Scope,
		Compares: true,
		Subject:  "/trailers/" + r.Scope.Trailer + "/label",
		Title:    said.Say("Driving {licence}"),
	}
	if r.Outing == nil || r.Vehicle == nil {
		return f, false
	}
	l := norms.LicenceOf(r.Plan.Region)
	if l == nil {
		f.Outcome, f.Source = finding.Unknown, norms.Practice("licences are by state or country")
		f.Says = said.Say("Which {licence} this pair needs is up to your state or country: ask before you tow.")
		f.Needs = []finding.Need{
			{
				Path:  "/region",
				Says:  said.Say("what your {licence} lets you tow"),
				Where: said.Say("Ask the {licence} office."),
			},
		}
		return f, true
	}
	f.Source = &l.Source
	trailer := permissibleGross(r)
	if trailer == nil || !l.TrailerAlone && r.Vehicle.Gross == nil {
		f.Outcome, f.Says = finding.Unknown, said.Say(
			"Which {licence} it needs is not known: that depends on the permissible masses on the plates.",
		)
		if trailer == nil {
			f.Needs = append(
				f.Needs,
				finding.Need{
					Path:  f.Subject,
					Says:  said.Say("the trailer's {gross}"),
					Where: said.Say("Read the trailer's plate."),
				},
			)
		}
		if r.Vehicle.Gross == nil {
			f.Needs = append(
				f.Needs,
				finding.Need{
					Path:  "/towVehicles/" + r.VehicleID + "/gross",
					Says:  said.Say("the car's {car gross}"),
					Where: said.Say("Read the plate on the door post."),
				},
			)
		}
		return f, true
	}
	light := !quantity.Exceeds(*trailer, float64(l.Light))
	f.Outcome = finding.Holds
	if l.TrailerAlone {
		f.Figure, f.Limit = finding.Exactly(
			quantity.KindMass,
			*trailer,
		), finding.Exactly(
			quantity.KindMass,
			float64(l.Light),
		)
		f.Says = said.Say(
			"A category B {licence} tows a trailer of up to % permissible mass; this one has %.",
			said.Mass(float64(l.Light)),
			said.Mass(*trailer),
		)
		if !light {
			f.Outcome, f.Tight = finding.Tight, finding.LittleRoom
			f.Says = append(f.Says, said.Say(" It needs more than B.")...)
		}
	} else {
		both := float64(*r.Vehicle.Gross) + *trailer
		f.Figure, f.Limit = finding.Exactly(quantity.KindMass, both), finding.Exactly(quantity.KindMass, float64(l.Both))
		switch {
		case light:
			f.Says = said.Say("Category B tows any trailer up to % permissible mass; this one has %.", said.Mass(float64(l.Light)), said.Mass(*trailer))
		case !quantity.Exceeds(both, float64(l.Both)):
			f.Says = said.Say("Category B is enough: car and trailer together % permissible, up to %.", said.Mass(both), said.Mass(float64(l.Both)))
		case !quantity.Exceeds(both, float64(l.More)):
			f.Outcome, f.Tight = finding.Tight, finding.LittleRoom
			f.Says = said.Say("It needs B96: car and trailer together % permissible; B ends at %, B96 at %.", said.Mass(both), said.Mass(float64(l.Both)), said.Mass(float64(l.More)))
		default:
			f.Outcome, f.Tight = finding.Tight, finding.LittleRoom
			f.Says = said.Say("It needs BE: car and trailer together % permissible; B96 ends at %.", said.Mass(both), said.Mass(float64(l.More)))
		}
	}
	f.Says = append(f.Says, said.Say(" General figures: your own {licence} and its date decide.")...)
	return f, true
}

// permissibleGross is the trailer's permissible mass: its plate's, or load and trailer
// together where the label counts the load alone; nil where neither is known.
func permissibleGross(r *rig.Rig) *float64 {
	l := r.Trailer.Label
	if l == nil {
		return nil
	}
	v := float64(l.Value)
	if l.Counts != plan.CountsGross { // the higher reading
		m := r.EmptyMass()
		if m == nil {
			return nil
		}
		v += m.Nominal
	}
	return &v
}
