package towing

import (
	"math"

	"zygonos/core/facts/norms"
	"zygonos/core/lang/finding"
	"zygonos/core/lang/quantity"
	"zygonos/core/lang/said"
	"zygonos/core/plan"
	"zygonos/core/rig"
)

// DValue is the horizontal force that a coupling is rated by, N: D = g·T·R/(T+R)
// with the permissible masses of vehicle and trailer, kg. With the mass on a
// centre-axle trailer's axles in place of R it is Dc. UNECE R55, 2.11.
func DValue(vehicle, trailer float64) float64 {
	if vehicle <= 0 || trailer <= 0 {
		return 0
	}
	return quantity.Gravity * vehicle * trailer / (vehicle + trailer)
}

var dSource = finding.Source{
	Title:      "UNECE Regulation 55, D and Dc values",
	Clause:     "2.11",
	AsOf:       norms.AsOf,
	Confidence: "A",
}

// hitchD holds the hitch's D value against the permissible masses; nil where
// the plate gives none.
func hitchD(r *rig.Rig) *link {
	v := r.Vehicle
	if v.HitchD == nil {
		return nil
	}
	vp, tp := "/towVehicles/"+r.VehicleID, "/trailers/"+r.Scope.Trailer
	limit := float64(*v.HitchD)
	l := &link{
		id:     "hitch-d",
		path:   vp + "/hitchD",
		name:   said.Say("{Tow bar}'s D value"),
		reads:  norms.ReadsTotal,
		kind:   quantity.KindForce,
		limit:  &limit,
		act:    "Tow a lighter trailer, or fit a hitch with a higher D.",
		source: &dSource,
	}
	mass, axles, path := permissible(r)
	if v.Gross == nil {
		l.needs = append(
			l.needs,
			finding.Need{
				Path:  vp + "/gross",
				Says:  said.Say("the car's {car gross}"),
				Where: said.Say("Read the plate on the door post."),
			},
		)
	}
	if mass == nil {
		l.needs = append(
			l.needs,
			finding.Need{
				Path:  tp + "/label",
				Says:  said.Say("the trailer's {gross}"),
				Where: said.Say("Read the trailer's plate."),
			},
		)
	}
	if l.needs != nil {
		return l
	}
	d := quantity.Exactly(DValue(float64(*v.Gross), *mass))
	l.figure = &d
	l.steps = func() []finding.Step {
		formula, symbol, says := "D = g·T·R/(T + R)", "R", "trailer's permissible mass"
		if axles {
			formula, symbol, says = "Dc = g·T·C/(T + C)", "C", "permissible mass on its axles"
		}
		return []finding.Step{
			{
				Symbol:  "D",
				Says:    said.Say("what the {coupling} must take"),
				Formula: formula,
				Result:  finding.Of(quantity.KindForce, d),
				Source:  &dSource,
				Terms: []finding.StepTerm{
					{
						Symbol:  "T",
						Says:    said.Say("car's {car gross}"),
						Measure: finding.Exactly(quantity.KindMass, *v.Gross),
						How:     string(plan.Plate),
						Path:    vp + "/gross",
					},
					{
						Symbol:  symbol,
						Says:    said.Say(says),
						Measure: finding.Exactly(quantity.KindMass, *mass),
						How:     string(plan.Plate),
						Path:    tp + path,
					}},
			},
		}
	}
	return l
}

// permissible is the trailer's mass that the D value reads: what its axles may
// bear, where a plate gives it, at most its gross; else its gross.
func permissible(r *rig.Rig) (kg *float64, axles bool, path string) {
	t := r.Trailer
	if l := t.Label; l != nil {
		v := float64(l.Value)
		if l.Counts == plan.CountsPayload || l.Counts == plan.CountsUnsure { // the higher reading
			m := r.EmptyMass()
			if m == nil {
				return nil, false, ""
			}
			v += m.Nominal
		}
		kg, path = &v, "/label"
	}
	for _, a := range []struct {
		v    *quantity.Mass
		path string
	}{{t.OnWheels, "/onWheels"}, {t.AxleRating, "/axleRating"}} {
		if a.v != nil && (kg == nil || float64(*a.v) < *kg) {
			v := float64(*a.v)
			return &v, true, a.path
		}
	}
	return kg, false, path
}

// plug tells whether the trailer's plug fits the car's socket.
func plug(r *rig.Rig) (finding.Finding, bool) {
	f := finding.Finding{
		Code:    CodePlug,
		Stage:   "vehicle",
		Scope:   r.Scope,
		Gate:    finding.GateGo,
		Subject: "/trailers/" + r.Scope.Trailer + "/plug",
		Title:   said.Say("Plug and socket"),
		Source:  norms.Practice("pins of different patterns do not mate"),
	}
	if r.Vehicle == nil {
		return f, false
	}
	switch socket, plug := r.Vehicle.Socket, r.Trailer.Plug; {
	case socket == "" && plug == "":
		return f, false
	case socket == "":
		f.Lacks("Whether the plug fits", finding.Need{
			Path: r.VehiclePath("socket"), Says: said.Say("the car's socket"), Where: said.Say("Count its contacts."),
		})
		return f, true
	case plug == "":
		f.Lacks("Whether the plug fits", finding.Need{
			Path: f.Subject, Says: said.Say("the trailer's plug"), Where: said.Say("Count its pins."),
		})
		return f, true
	}
	name := func(id string) said.Piece {
		for _, p := range norms.Plugs {
			if p.ID == id {
				return said.Piece{Text: p.Name}
			}
		}
		return said.Name(id, "unknown")
	}
	switch {
	case r.Vehicle.Socket == r.Trailer.Plug:
		f.Outcome, f.Says = finding.Holds, said.Say("Plug and socket fit: %.", name(r.Trailer.Plug))
	case r.Vehicle.Adapter:
		f.Outcome, f.Says = finding.Holds, said.Say(
			"Plug % on socket %, with the adapter you carry. Try every lamp.",
			name(r.Trailer.Plug),
			name(r.Vehicle.Socket),
		)
	default:
		f.Outcome, f.Says = finding.Fails, said.Say(
			"Plug % does not fit the car's % socket. Get an adapter.",
			name(r.Trailer.Plug),
			name(r.Vehicle.Socket),
		)
	}
	return f, true
}

// levelWithin is how far ball and coupling may differ in height on a level
// ride, m: practice.
const levelWithin = 0.025

// mount tells the rise or drop that the ball mount needs for a level trailer.
func mount(r *rig.Rig) (finding.Finding, bool) {
	f := finding.Finding{
		Code:    CodeMount,
		Stage:   "vehicle",
		Scope:   r.Scope,
		Subject: "/trailers/" + r.Scope.Trailer + "/couplingHeight",
		Title:   said.Say("Ball height"),
		Source:  norms.Practice("level within 25 mm"),
	}
	if r.Vehicle == nil {
		return f, false
	}
	switch ball, coupling := r.Vehicle.BallHeight, r.Trailer.CouplingHeight; {
	case ball == nil && coupling == nil:
		return f, false
	case ball == nil:
		f.Lacks("Whether it is towed level", finding.Need{
			Path: r.VehiclePath("ballHeight"), Says: said.Say("the ball's height"), Where: said.Say("From the ground to its middle, the car loaded."),
		})
		return f, true
	case coupling == nil:
		f.Lacks("Whether it is towed level", finding.Need{
			Path: f.Subject, Says: said.Say("the {coupling}'s height"), Where: said.Say("From the ground to the ball's middle, the trailer level."),
		})
		return f, true
	}
	d := float64(*r.Trailer.CouplingHeight - *r.Vehicle.BallHeight)
	f.Figure, f.Limit = finding.Exactly(
		quantity.KindLength,
		math.Abs(d),
	), finding.Exactly(
		quantity.KindLength,
		levelWithin,
	)
	word := "rise"
	if d < 0 {
		word = "drop"
	}
	if math.Abs(d) <= levelWithin+1e-9 {
		f.Outcome, f.Says = finding.Holds, said.Say(
			"Ball and {coupling} are level within %.",
			said.Length(levelWithin),
		)
	} else {
		f.Outcome, f.Tight = finding.Tight, finding.LittleRoom
		f.Says = said.Say("For a level trailer the ball mount needs % "+word+".", said.Length(math.Abs(d)))
	}
	return f, true
}
