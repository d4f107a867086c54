package box

import (
	"math"

	"zygonos/core/facts/norms"
	"zygonos/core/lang/finding"
	"zygonos/core/lang/quantity"
	"zygonos/core/lang/said"
)

// Figures of wind (practice, C; air by ISO 2533).
const (
	air      = 1.225 // kg/m³
	broad    = 1.2   // side force of a wall, on the dynamic pressure
	driven   = 80 / 3.6
	gale     = 20.0 // m/s of gusts that one meets
	strong   = 12.0 // that are met on any windy day
	cageOpen = 0.35 // of a cage without skins that stops wind
)

// area is what stops wind from the side, m².
func (b *Body) area() float64 {
	if b.b.SkinThick == nil || b.b.Skin == "" {
		return cageOpen * b.side
	}
	return b.side
}

// lifts is the side wind, m/s, that lifts a wheel of the empty trailer with its body, standing, and driven at 80 km/h, the
// side force of a wall in the wind that both make together:
//
//	standing ½ρ·w²·C·A·h = m·g·t/2;  driven ½ρ·C·A·h·w·√(v² + w²) = m·g·t/2
func (b *Body) lifts() (standing, moving float64, ok bool) {
	empty := b.r.EmptyMass()
	if empty == nil || b.r.Trailer.Track == nil {
		return 0, 0, false
	}
	m := empty.Low
	if _, with := b.r.Trailer.Empty.Parts[b.id]; !with {
		m += b.mass.Low
	}
	h := b.r.DeckHeight() + float64(b.b.High)/2
	lever := air / 2 * broad * b.area() * h
	hold := m * quantity.Gravity * float64(b.r.Trailer.Track.Value) / 2
	if !(lever > 0) || !(hold > 0) {
		return 0, 0, false
	}
	k := hold / lever // w·√(v² + w²) of it
	v2 := driven * driven
	return math.Sqrt(k), math.Sqrt((math.Sqrt(v2*v2+4*k*k) - v2) / 2), true
}

// wind asks at what side wind the empty trailer tips.
func (b *Body) wind() (finding.Finding, bool) {
	f := b.base(CodeWind, "Side wind, empty", "high")
	standing, moving, ok := b.lifts()
	if !ok && float64(b.b.High) >= tall {
		f = b.need(
			f,
			"high",
			"the track and the empty weight, against wind",
			"From {tyre} to {tyre}; on a {weighbridge}.",
		)
		path := "/trailers/" + b.r.Scope.Trailer
		f.Needs[0].Path = path + "/track"
		if b.r.Trailer.Track != nil {
			f.Needs[0].Path = path + "/empty"
		}
		return f, true
	}
	if !ok {
		return f, false
	}
	f.Source = norms.Practice("a wall of 1.2 in the wind of gust and drive")
	f.Figure, f.Limit = finding.Exactly(quantity.KindSpeed, moving), finding.Exactly(quantity.KindSpeed, gale)
	f.Says = said.Say(
		"Empty, a side gust of % lifts a wheel at %; standing, it takes %.",
		said.Of(
			quantity.KindSpeed,
			moving,
		),
		said.Of(quantity.KindSpeed, driven),
		said.Of(quantity.KindSpeed, standing),
	)
	switch {
	case moving < strong:
		f.Outcome = finding.Fails
		f.Says = append(
			f.Says,
			said.Say(" Any windy bridge can turn it over: build it lower, with narrower skins, or on a wider track.")...)
	case moving < gale:
		f.Outcome, f.Tight = finding.Tight, finding.LittleRoom
		f.Says = append(f.Says, said.Say(" In a gale leave it at home, or drive slowly.")...)
	}
	return f, true
}

// Figures of a course in gusts (practice, C).
const (
	tyreGrip  = 6.0 // sideways stiffness of a trailer's tyres, per rad and unit of load, the soft end (docs/method/sway.md)
	asideMost = 0.2 // m that a tail may swing out of its lane's middle in a strong gust
)

// swings is how far the tail of the empty trailer swings aside, m, in a side gust of 12 m/s at 80 km/h once it has settled:
// the wind's force F at the body's middle x of the axle's L, its tyres under a slip that bears their part of it, and how much
// of the wind the car's tail gets, kg:
//
//	F = ½ρ·C·A·w·√(v² + w²),  α = F·x/L/(C_α·N),  aside = α·x_tail,  car F·(1 − x/L)
func (b *Body) swings() (aside, onCar float64, ok bool) {
	empty := b.r.EmptyMass()
	if empty == nil || b.r.Axle == nil || !(b.r.Axle.Nominal > 0) {
		return 0, 0, false
	}
	m := empty.Low
	if _, with := b.r.Trailer.Empty.Parts[b.id]; !with {
		m += b.mass.Low
	}
	force := air / 2 * broad * b.area() * strong * math.Hypot(driven, strong)
	at := (b.it.Front + b.it.Rear) / 2 / b.r.Axle.Nominal
	_, tail := b.r.Deck()
	slip := force * at / (tyreGrip * m * quantity.Gravity)
	return slip * math.Max(tail, b.it.Rear), force * (1 - at) / quantity.Gravity, m > 0
}

// gusts says how a tall body keeps its course: it never decides against a body, but tells when to slow down.
func (b *Body) gusts() (finding.Finding, bool) {
	f := b.base(CodeGusts, "Its course in gusts, empty", "high")
	aside, onCar, ok := b.swings()
	if !ok || float64(b.b.High) < tall {
		return f, false
	}
	f.Source = norms.Practice("the tyres’ slip under a side gust of 12 m/s at 80 km/h")
	f.Figure, f.Limit = finding.Exactly(quantity.KindLength, aside), finding.Exactly(quantity.KindLength, asideMost)
	f.Says = said.Say(
		"A side gust of % at % swings the empty trailer’s tail % aside and pushes on the car’s tail with %.",
		said.Of(
			quantity.KindSpeed,
			strong,
		),
		said.Of(quantity.KindSpeed, driven),
		said.Length(aside),
		said.Mass(math.Abs(onCar)),
	)
	if aside > asideMost {
		f.Outcome, f.Tight = finding.Tight, finding.LittleRoom
		f.Says = append(f.Says, said.Say(" Slow down on bridges and when passing trucks; ballast over the axle helps.")...)
	}
	return f, true
}

// More is what the body takes more of fuel at 90 km/h, l/100 km, by the area that stands over the car's roof:
//
//	½ρ·C_w·A·v² over η·(energy of a litre), C_w 0.9, η 0.28, 33 MJ/l (C)
func (b *Body) More() (litres float64, ok bool) {
	v := b.r.Vehicle
	high := b.r.DeckHeight() + float64(b.b.High)
	if v == nil {
		return 0, false
	}
	over := math.Max(0, math.Min(float64(b.b.High), high-carRoof))
	const v2, cw, eta, energy = 25.0 * 25.0, 0.9, 0.28, 33e6
	return air / 2 * cw * float64(b.b.Wide) * over * v2 * 100e3 / (eta * energy), true
}

// carRoof is a car's usual height, m (practice, C).
const carRoof = 1.5
