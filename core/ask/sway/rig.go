package sway

import (
	"math"

	"zygonos/core/lang/finding"
	"zygonos/core/lang/quantity"
	"zygonos/core/lang/said"
	"zygonos/core/rig"
)

type span = quantity.Range[float64]

// Guess is what no owner can know of his tyres and his car.
type Guess struct {
	Front      float64 // car's front cornering compliance, rad per g
	Understeer float64 // by which the rear's is less, rad per g
	Tyre       float64 // trailer tyres' stiffness, per rad and unit of load
	Inertia    float64 // of the car's yaw inertia over m·a·b
	Lag        float64 // relaxation length, m
}

const degree = math.Pi / 180

// Stated bands (docs/method/sway.md, confidence C).
var (
	frontBand = span{Nominal: 6 * degree, Low: 5 * degree, High: 7 * degree}
	underBand = span{Nominal: 2.25 * degree, Low: 1 * degree, High: 3.5 * degree}
	tyreBand  = span{Nominal: 8, Low: 6, High: 10}
	yawBand   = span{Nominal: 0.95, Low: 0.95 * 0.9, High: 0.95 * 1.1}
	lagBand   = span{Nominal: 0.4, Low: 0.3, High: 0.5}
)

// Nominal is the middle of the stated bands.
var Nominal = Guess{frontBand.Nominal, underBand.Nominal, tyreBand.Nominal, yawBand.Nominal, lagBand.Nominal}

// guesses are the points of the bands at which the damping is looked at: all
// corners, and between them five steps of the car's tyre stiffness, in which
// damping is not monotone.
var guesses = func() []Guess {
	ends := func(s span) [2]float64 { return [2]float64{s.Low, s.High} }
	out := []Guess{Nominal}
	for k := range 5 {
		front := frontBand.Low + float64(k)/4*(frontBand.High-frontBand.Low)
		for _, under := range ends(underBand) {
			for _, tyre := range ends(tyreBand) {
				for _, inertia := range ends(yawBand) {
					for _, lag := range ends(lagBand) {
						out = append(out, Guess{front, under, tyre, inertia, lag})
					}
				}
			}
		}
	}
	return out
}()

// Rig is what the model takes from a rig, before the guesses.
type Rig struct {
	CarMass, Base, Front, Rear, Overhang float64 // kg; wheelbase, centre to axles, rear axle to ball, m
	FrontLoad, RearLoad                  float64 // N on the car's axles, ball load counted
	Mass, Centre, Axle, OnAxle           float64 // trailer: kg, m, m, N
	Inertia                              float64 // kg·m²
	Assumed                              []said.Sentence
}

// Usual figures of a car where none are stated.
const (
	usualBase     = 2.7
	usualOverhang = 1.05
	usualRear     = 0.43 // of the kerb mass on the rear axle
)

// Of takes from a rig what the model needs, or says what is missing.
func Of(r *rig.Rig) (*Rig, []finding.Need) {
	if r.Bears == nil || r.Bears.Share == nil || !(r.Bears.Mass.Nominal > 0) {
		return nil, r.Needs
	}
	if r.Vehicle == nil || r.Outing == nil {
		return nil, []finding.Need{
			{
				Path:  "/outings/" + r.Scope.Outing + "/vehicle",
				Says:  said.Say("which car tows"),
				Where: said.Say("Choose it in the outing."),
			},
		}
	}
	car, needs := r.CarMass()
	if car == nil {
		return nil, needs
	}
	v := r.Vehicle
	s := &Rig{CarMass: car.Nominal, Base: usualBase, Overhang: usualOverhang}
	if v.Wheelbase != nil {
		s.Base = float64(v.Wheelbase.Value)
	} else {
		s.Assumed = append(s.Assumed, said.Say("wheelbase"))
	}
	if v.RearOverhang != nil {
		s.Overhang = float64(v.RearOverhang.Value)
	} else {
		s.Assumed = append(s.Assumed, said.Say("rear axle to ball"))
	}
	rear := usualRear * float64(v.Kerb.Value)
	if v.RearEmpty != nil {
		rear = float64(v.RearEmpty.Value)
	} else {
		s.Assumed = append(s.Assumed, said.Say("the empty car's rear axle"))
	}
	rear += float64(r.Outing.People.Value) * rig.PeopleRear.Nominal
	if g := r.Outing.Gear; g != nil {
		rear += float64(g.Value) * rig.GearRear.Nominal
	}
	rear = min(max(rear, 0.2*s.CarMass), 0.8*s.CarMass)
	s.Front = s.Base * rear / s.CarMass
	s.Rear = s.Base - s.Front
	ball, lever := r.Bears.Ball.Nominal, rig.Lever(s.Base, s.Overhang)
	s.RearLoad = quantity.Gravity * max(rear+ball*lever, 0.05*s.CarMass)
	s.FrontLoad = quantity.Gravity * max(s.CarMass+ball-rear-ball*lever, 0.05*s.CarMass)
	s.Mass, s.Axle = r.Bears.Mass.Nominal, r.Axle.Nominal
	s.OnAxle = quantity.Gravity * max(r.Bears.OnAxle.Nominal, 0.01*s.Mass)
	s.Centre = s.Axle * r.Bears.OnAxle.Nominal / s.Mass
	s.Inertia = Inertia(r)
	return s, nil
}

// Model fills the guesses in.
func (s *Rig) Model(g Guess) Model {
	return Model{
		CarMass: s.CarMass, CarInertia: g.Inertia * s.CarMass * s.Front * s.Rear,
		Front: s.Front, Rear: s.Rear, Hitch: s.Rear + s.Overhang,
		FrontTyres: s.FrontLoad / g.Front, RearTyres: s.RearLoad / (g.Front - g.Understeer),
		Mass: s.Mass, Inertia: s.Inertia, Centre: s.Centre, Axle: s.Axle, Tyres: g.Tyre * s.OnAxle,
		Lag: g.Lag,
	}
}

// Inertia is the trailer's yaw inertia about its own centre, kg·m²: the empty
// trailer and all that is placed as boxes, each moved by the parallel-axis rule:
//
//	J = Σ mᵢ((lᵢ² + wᵢ²)/12 + (xᵢ − x)² + (yᵢ − y)²)
//
// The empty trailer is its running gear at the wheels, g·t²/4 about the axle's
// middle, and the rest spread evenly over the deck, so placed that the whole has
// the centre that was weighed.
func Inertia(r *rig.Rig) float64 {
	j, _ := Spread(r)
	return j
}

// Spread gives the yaw inertia about the whole's own centre, and what of it the
// empty trailer and the things have about centres of their own.
func Spread(r *rig.Rig) (whole, own float64) {
	if r.Bears == nil || r.Axle == nil || !(r.Bears.Mass.Nominal > 0) {
		return 0, 0
	}
	m := r.Bears.Mass.Nominal
	x := r.Axle.Nominal * r.Bears.OnAxle.Nominal / m
	side := 0.0
	for i := range r.Beam.Terms {
		t := &r.Beam.Terms[i]
		side += t.Amount.Nominal * t.Side.Nominal
	}
	y := side / m
	empty, moment := m, m*x
	for i := range r.Items {
		it := &r.Items[i]
		if it.Mass == nil {
			continue
		}
		for _, l := range it.Lumps {
			empty, moment = empty-l.Mass, moment-l.Mass*l.X
			own += l.Own
			whole += l.Own + l.Mass*(square(l.X-x)+square(l.Y-y))
		}
	}
	if empty <= 0 {
		return whole, own
	}
	gear := 60.0
	if g := r.Trailer.RunningGear; g != nil {
		gear = float64(g.Value)
	}
	gear = min(gear, 0.6*empty)
	track := r.Beam.Track
	if track <= 0 {
		track = r.DeckWidth() + 0.25
	}
	axle, centre := r.Axle.Nominal, moment/empty
	body := empty - gear
	at := (moment - gear*axle) / body // of the rest
	alone := gear*(track*track/4+square(axle-centre)) + body*((square(r.DeckLength())+square(r.DeckWidth()))/12+square(at-centre))
	own += alone
	return whole + alone + empty*(square(centre-x)+y*y), own
}

func square(v float64) float64 { return v * v }
