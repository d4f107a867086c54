package stance

import (
	"math"

	"zygonos/core/facts/norms"
	"zygonos/core/lang/finding"
	"zygonos/core/lang/quantity"
	"zygonos/core/lang/said"
	"zygonos/core/rig"
	"zygonos/core/sums/statics"
)

// Codes of how it sits.
const (
	CodeLevel    = "stance.level"
	CodeWheel    = "stance.wheel-room"
	CodePressure = "stance.pressure"
	CodeAngles   = "stance.angles"
	CodeTandem   = "stance.tandem"
)

// Figures of practice (confidence C).
const (
	levelWithin   = 1.0 * math.Pi / 180 // of pitch
	wheelReserve  = 0.01                // m between tyre and what is over it, at the stop
	pressureFloor = 0.6                 // of the wall's figure
	trailerPower  = 0.7                 // n of trailer tyres …
	carPower      = 0.8                 // … and car tyres in P = P_max·(W/W_max)^(1/n)
	steepDrive    = 7.0 * math.Pi / 180 // a driveway of 1 in 8
	kerb          = 0.10                // m
	frameDepth    = 0.12                // m of frame under the deck
	couplingUnder = 0.12                // m that coupling, tow bar and jack reach below the ball's middle
	emptyBall     = 0.08                // of the empty trailer on the ball, where it was not weighed
)

// Sink is how far the springs have sunk against how the trailer stands empty, m:
// they sink evenly with their load to the stated figure at their rating. ok is
// false where that figure or the rating is not stated.
func Sink(r *rig.Rig) (m float64, ok bool) {
	k, ok := r.SpringRate()
	empty := r.EmptyMass()
	if !ok || r.Bears == nil || empty == nil {
		return 0, false
	}
	ball := emptyBall * empty.Nominal
	if b := r.Trailer.Empty.Ball; b != nil {
		ball = float64(b.Range(r.Plan).Nominal)
	}
	return (r.Bears.OnAxle.Nominal - (empty.Nominal - ball)) / k, true
}

// Pitch is how far the trailer rides nose up, rad: (h_ball − (h_coupling − sink))/L,
// with the coupling's height when empty and level.
func Pitch(ball, coupling, sink, axle float64) float64 {
	return math.Atan((ball - (coupling - sink)) / axle)
}

// TyrePressure is what a tyre needs that bears load of the most that its wall
// allows at its full pressure: P_max·(W/W_max)^(1/n), never over the wall's
// figure, never under 60 % of it. Practice of the tyre bodies' load tables.
func TyrePressure(full, load, most, n float64) float64 {
	if !(most > 0) || !(load > 0) {
		return full * pressureFloor
	}
	return full * min(1, max(pressureFloor, math.Pow(load/most, 1/n)))
}

// ColdPressure is the greater of what trailer and car tyres need by TyrePressure.
func ColdPressure(full, load, most float64) float64 {
	return max(TyrePressure(full, load, most, trailerPower), TyrePressure(full, load, most, carPower))
}

// PitchOf is the pitch at which the rig rides, nose up, rad; ok is false where the heights of
// ball and coupling are not stated. Springs of unknown rate are taken not to sink.
func PitchOf(r *rig.Rig) (pitch float64, ok bool) {
	if r.Vehicle == nil || r.Vehicle.BallHeight == nil || r.Trailer.CouplingHeight == nil || r.Axle == nil {
		return 0, false
	}
	sink, _ := Sink(r)
	return Pitch(float64(*r.Vehicle.BallHeight), float64(*r.Trailer.CouplingHeight), sink, r.Axle.Nominal), true
}

// Departure is the steepest ramp against which a point d behind a wheel of radius
// r and h above the ground does not scrape: the tangent from the point under the
// wheel, arctan((h − r)/d) + arcsin(r/√(d² + (h − r)²)).
func Departure(d, h, r float64) float64 {
	if d <= 0 {
		return math.Pi / 2
	}
	return math.Atan2(h-r, d) + math.Asin(min(1, r/math.Hypot(d, h-r)))
}

// Breakover is the sharpest crest between the car's rear wheel, o before the ball,
// and the trailer's, L behind it, over which a point at the ball's place and h up
// clears: arctan(h/o) + arctan(h/L).
func Breakover(h, o, l float64) float64 { return math.Atan2(h, o) + math.Atan2(h, l) }

// sits tells how the rig rides: level, room over the wheels, tyre pressure,
// ramps and kerbs, and how a pair of axles shares.
func sits(r *rig.Rig) []finding.Finding {
	var out []finding.Finding
	for _, check := range []func(*rig.Rig) (finding.Finding, bool){level, wheelRoom, pressure, angles, tandem} {
		if f, ok := check(r); ok {
			out = append(out, f)
		}
	}
	return out
}

func lengthTerm(symbol, says, how string, v float64) finding.StepTerm {
	return finding.StepTerm{
		Symbol:  symbol,
		Says:    said.Say(says),
		Measure: finding.Exactly(quantity.KindLength, v),
		How:     how,
	}
}

func level(r *rig.Rig) (finding.Finding, bool) {
	f := base(r, CodeLevel, "Level ride")
	f.Source = norms.Practice("within a degree of level")
	pitch, ok := PitchOf(r)
	if !ok {
		return f, false
	}
	ball, coupling, l := float64(*r.Vehicle.BallHeight), float64(*r.Trailer.CouplingHeight), r.Axle.Nominal
	sink, known := Sink(r)
	f.Figure, f.Limit = finding.Exactly(
		quantity.KindAngle,
		math.Abs(pitch),
	), finding.Exactly(
		quantity.KindAngle,
		levelWithin,
	)
	front, rear := r.Deck()
	word, height := "nose up", "the tail % lower than the front"
	if pitch < 0 {
		word, height = "nose down", "the tail % higher than the front"
	}
	f.Says = said.Say(
		"Rides % "+word+", "+height+".",
		said.Of(quantity.KindAngle, math.Abs(pitch)),
		said.Length(math.Abs(pitch)*(rear-front)),
	)
	if math.Abs(pitch) > levelWithin {
		f.Outcome, f.Tight = finding.Tight, finding.LittleRoom
		f.Says = append(f.Says, said.Say(" With the ball at % it rides level.", said.Length(coupling-sink))...)
	}
	if !known {
		f.Says = append(f.Says, said.Say(" The springs are not counted: enter how far they sink.")...)
	}
	f.HasWork, f.Work = true, func() []finding.Step {
		return []finding.Step{
			{
				Symbol:  "φ",
				Says:    said.Say("pitch, nose up"),
				Formula: "φ = arctan((h_ball − (h_c − s))/L)",
				Result:  finding.Exactly(quantity.KindAngle, pitch),
				Source:  f.Source,
				Terms: []finding.StepTerm{
					lengthTerm("h_ball", "ball height", "stated", ball),
					lengthTerm("h_c", "{coupling} height, empty and level", "stated", coupling),
					lengthTerm(
						"s",
						"springs sink against empty",
						"computed",
						sink,
					),
					lengthTerm("L", "{coupling} to axle", "stated", l),
				},
			},
		}
	}
	return f, true
}

func wheelRoom(r *rig.Rig) (finding.Finding, bool) {
	f := base(r, CodeWheel, "Room over the wheels")
	f.Source = norms.Practice("10 mm over the wheel with the springs at their stop")
	t := r.Trailer
	path := "/trailers/" + r.Scope.Trailer
	switch {
	case t.WheelRoom == nil && t.Travel == nil:
		return f, false
	case t.WheelRoom == nil:
		f.Lacks("The room over the wheels at full bump", finding.Need{
			Path: path + "/wheelRoom", Says: said.Say("the room over a wheel, empty"), Where: said.Say("Tape from the {tyre} to what is above it."),
		})
		return f, true
	case t.Travel == nil:
		f.Lacks("The room over the wheels at full bump", finding.Need{
			Path: path + "/travel", Says: said.Say("how far the springs travel"), Where: said.Say("Tape from the axle to its stop, empty."),
		})
		return f, true
	}
	left := float64(*t.WheelRoom - *t.Travel)
	f.Figure, f.Limit = finding.Exactly(
		quantity.KindLength,
		left,
	), finding.Exactly(
		quantity.KindLength,
		wheelReserve,
	)
	sink, known := Sink(r)
	now := said.Sentence{}
	if known {
		now = said.Say(" % now, laden.", said.Length(float64(*t.WheelRoom)-sink))
	}
	switch {
	case left < 0:
		f.Outcome, f.Says = finding.Fails, said.Say(
			"At full bump the {tyre} goes % into what is above it. Raise the {mudguard}, or fit a bump stop.",
			said.Length(-left),
		)
	case known && float64(*t.WheelRoom)-sink <= 0:
		f.Outcome, f.Says = finding.Fails, said.Say(
			"Laden, the {tyre} touches what is above it. Carry less, or fit stiffer springs.",
		)
	case left < wheelReserve:
		f.Outcome, f.Tight, f.Says = finding.Tight, finding.LittleRoom, said.Say(
			"Only % is left above the {tyre} at full bump.",
			said.Length(left),
		)
	default:
		f.Says = said.Say("% is left above the {tyre} at full bump.", said.Length(left))
	}
	f.Says = append(f.Says, now...)
	return f, true
}

func pressure(r *rig.Rig) (finding.Finding, bool) {
	f := base(r, CodePressure, "{Tyre} pressure")
	f.Source = norms.Practice(
		"P = P_max·(W/W_max)^(1/n) after the tyre bodies' load tables; the maker's own table comes first",
	)
	kg, _, _ := r.TyreLimit()
	full := r.Trailer.TyrePressure
	if kg == nil || full == nil {
		return f, false
	}
	load := r.HeaviestWheel()
	low, high := TyrePressure(
		float64(*full),
		load,
		*kg,
		trailerPower,
	), TyrePressure(
		float64(*full),
		load,
		*kg,
		carPower,
	)
	f.Figure = finding.Of(
		quantity.KindPressure,
		span{Nominal: max(low, high), Low: min(low, high), High: max(low, high)},
	)
	f.Limit = finding.Exactly(quantity.KindPressure, *full)
	f.Says = said.Say(
		"Cold, for % on the heavier wheel: % or more, but no more than the wall's %. An estimate.",
		said.Mass(load),
		said.Of(quantity.KindPressure, max(low, high)),
		said.Of(quantity.KindPressure, *full),
	)
	f.HasWork, f.Work = true, func() []finding.Step {
		return []finding.Step{
			{
				Symbol:  "P",
				Says:    said.Say("pressure for the load"),
				Formula: "P = P_max·(W/W_max)^(1/n), from 60 % to 100 % of P_max",
				Result:  f.Figure,
				Source:  f.Source,
				Terms: []finding.StepTerm{
					{Symbol: "P_max", Says: said.Say("the wall's figure"), Measure: f.Limit, How: "plate"},
					{
						Symbol:  "W",
						Says:    said.Say("on the heavier wheel, at most"),
						Measure: finding.Exactly(quantity.KindMass, load),
						How:     "computed",
					},
					{
						Symbol:  "W_max",
						Says:    said.Say("one {tyre}'s rating"),
						Measure: finding.Exactly(quantity.KindMass, *kg),
						How:     "plate",
					},
					{
						Symbol: "n",
						Says:   said.Say("trailer and car {tyre}s"),
						Measure: finding.Of(
							quantity.KindShare,
							span{Nominal: trailerPower, Low: trailerPower, High: carPower},
						),
						How: "typical",
					}},
			},
		}
	}
	return f, true
}

func angles(r *rig.Rig) (finding.Finding, bool) {
	f := base(r, CodeAngles, "Ramps and kerbs")
	f.Source = norms.Practice("driveways of 1 in 8, kerb of 100 mm")
	if r.Trailer.DeckHeight == nil || r.DeckFront == nil || r.Trailer.DeckLength == nil || r.Outing == nil {
		return f, false
	}
	_, tail := r.Deck()
	sink, _ := Sink(r)
	last, wheel := r.LastAxle(), r.WheelRadius()
	pitch, _ := PitchOf(r) // nose up it lowers the tail about the axle
	under := float64(r.Trailer.DeckHeight.Value) - frameDepth - max(0, sink) - math.Tan(pitch)*(tail-r.Axle.Nominal)
	ball, overhang := r.BallHeight(), 1.1
	if v := r.Vehicle; v != nil && v.RearOverhang != nil {
		overhang = float64(v.RearOverhang.Value)
	}
	depart := Departure(tail-last, under, wheel)
	low := ball - couplingUnder
	over := Breakover(max(0, low), overhang, r.Axle.Nominal)
	// With the car up a kerb the trailer pitches about its wheels.
	drop := under - kerb*(tail-last)/r.Axle.Nominal
	f.Figure, f.Limit = finding.Exactly(
		quantity.KindAngle,
		min(depart, over),
	), finding.Exactly(
		quantity.KindAngle,
		steepDrive,
	)
	f.Says = said.Say(
		"The tail scrapes on a ramp steeper than %, the {coupling} on a crest over %. The tail is % up, % with the car on a {kerb}.",
		said.Of(
			quantity.KindAngle,
			depart,
		),
		said.Of(quantity.KindAngle, over),
		said.Length(under),
		said.Length(drop),
	)
	if min(depart, over) < steepDrive || drop < 0.05 {
		f.Outcome, f.Tight = finding.Tight, finding.LittleRoom
	}
	f.HasWork, f.Work = true, func() []finding.Step {
		return []finding.Step{
			{
				Symbol:  "δ",
				Says:    said.Say("departure angle at the tail"),
				Formula: "δ = arctan((h − r)/d) + arcsin(r/√(d² + (h − r)²))",
				Result:  finding.Exactly(quantity.KindAngle, depart),
				Source:  f.Source,
				Terms: []finding.StepTerm{
					lengthTerm("d", "tail behind the last axle", "stated", tail-last),
					lengthTerm("h", "under the frame at the tail, laden and as it pitches", "typical", under),
					lengthTerm("r", "wheel's radius", "stated or usual", wheel),
				},
			},
			{
				Symbol:  "γ",
				Says:    said.Say("crest at the {coupling}"),
				Formula: "γ = arctan(h/o) + arctan(h/L)",
				Result:  finding.Exactly(quantity.KindAngle, over),
				Terms: []finding.StepTerm{
					lengthTerm("h", "under the {coupling}", "typical", low),
					lengthTerm("o", "car's rear axle to ball", "stated or usual", overhang),
					lengthTerm("L", "{coupling} to axle", "stated", r.Axle.Nominal),
				},
			},
		}
	}
	return f, true
}

// tandem tells how axles without an equaliser share. What each may bear is a link of the
// chain.
func tandem(r *rig.Rig) (finding.Finding, bool) {
	f := base(r, CodeTandem, "How the axles share")
	f.Source = norms.Practice("axles without an equaliser, ball 50 mm high or low")
	g := r.Group
	if g == nil {
		return f, false
	}
	heavy := g.Heaviest()
	f.Figure = finding.Of(quantity.KindMass, heavy)
	first, last := g.Axles[0], g.Axles[len(g.Axles)-1]
	if len(g.Needs) > 0 {
		f.Outcome, f.Needs = finding.Unknown, g.Needs
		f.Says = append(
			append(said.Say(
				"Without an equaliser the height of the ball shares the load between the axles: front % to %, rear % to %, {ball load} % to %. It takes ",
				said.Mass(
					first.Low,
				),
				said.Mass(first.High),
				said.Mass(last.Low),
				said.Mass(last.High),
				said.Mass(r.Bears.Ball.Low),
				said.Mass(r.Bears.Ball.High),
			),
				g.Needs[0].Says...),
			said.Piece{Text: "."},
		)
		return f, true
	}
	m, moment, at := r.Bears.Mass.Nominal, 0.0, r.AxlesAt()
	for i, a := range g.Axles {
		moment += a.Nominal * at[i]
	}
	high, _ := statics.Tandem(m, moment, g.Rate, at, 0.05)
	low, _ := statics.Tandem(m, moment, g.Rate, at, -0.05)
	f.Says = said.Say(
		"No equaliser: front axle %, rear %, ball %. With the ball [50 mm] high % and %, low % and %. They are even with the ball at %.",
		said.Mass(
			first.Nominal,
		),
		said.Mass(last.Nominal),
		said.Mass(r.Bears.Ball.Nominal),
		said.Mass(high[0]),
		said.Mass(high[len(high)-1]),
		said.Mass(low[0]),
		said.Mass(low[len(low)-1]),
		said.Length(g.Even),
	)
	for _, a := range g.Axles {
		if a.Nominal <= 0 {
			f.Outcome = finding.Fails
			f.Says = append(f.Says, said.Say(" An axle lifts off.")...)
			break
		}
	}
	f.HasWork, f.Work = true, func() []finding.Step {
		terms := []finding.StepTerm{}
		for i, x := range at {
			terms = append(
				terms,
				lengthTerm("x"+string("₁₂₃"[3*i:3*i+3]), "an axle behind the ball", "stated or usual", x),
			)
		}
		terms = append(
			terms,
			finding.StepTerm{
				Symbol:  "dz",
				Says:    said.Say("ball over level"),
				Measure: finding.Of(quantity.KindLength, g.High),
				How:     "computed",
			},
			finding.StepTerm{
				Symbol:  "k",
				Says:    said.Say("one axle's springs, for each metre"),
				Measure: finding.Exactly(quantity.KindMass, g.Rate),
				How:     "computed",
			},
		)
		return []finding.Step{
			{
				Symbol:  "F",
				Says:    said.Say("the heaviest axle"),
				Formula: "F_i = M/Σx − k·dz·(1 − x_i·Σx/Σx²)",
				Result:  f.Figure,
				Source:  f.Source,
				Terms:   terms,
			},
		}
	}
	return f, true
}
