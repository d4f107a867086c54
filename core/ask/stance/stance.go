// Package stance answers how the rig stands: on a side slope and in a bend,
// under braking, and by hand in the yard. Formulas: docs/method/stance.md.
package stance

import (
	"math"

	"zygonos/core/facts/norms"
	"zygonos/core/lang/finding"
	"zygonos/core/lang/quantity"
	"zygonos/core/lang/said"
	"zygonos/core/rig"
)

type span = quantity.Range[float64]

// Codes of the findings made here.
const (
	CodeSlope = "stance.side"
	CodeBrake = "stance.braking"
	CodeYard  = "stance.yard"
)

// Figures of practice (confidence C).
const (
	sideways   = 0.5  // g, sideways acceleration to plan for
	braking    = 0.5  // g, hard braking
	liftEasy   = 25.0 // kg, one person
	liftMost   = 40.0
	pushSteady = 25.0 // kg of push that one person keeps up
	jockeyAt   = 0.35 // m behind the ball, a usual jockey wheel
)

// Rolling resistance, share of the weight.
var (
	rollFirm   = span{Nominal: 0.02, Low: 0.015, High: 0.03}
	rollGrass  = span{Nominal: 0.07, Low: 0.05, High: 0.10}
	rollGravel = span{Nominal: 0.04, Low: 0.03, High: 0.05}
)

// usualCoupling is the coupling's height of a trailer for which none is stated, m.
const usualCoupling = 0.43

// sidewaysMost is the greatest sideways acceleration that is stated: a centre so low lifts no
// wheel.
const sidewaysMost = 5.0

// WheelLift is the sideways acceleration, as a share of g, at which the lighter wheel of a
// coupled trailer lifts when it is pushed away from it: w·t/(h − β·h_c), with the share w
// of the mass on that wheel, the ball's share β and the coupling's height h_c. For an
// evenly loaded one w = (1 − β)/2. It is at most sidewaysMost, as where the centre lies under
// the line from coupling to wheels. Zero where that wheel bears nothing.
func WheelLift(track, wheel, share, height, coupling float64) float64 {
	den := height - share*coupling
	if wheel <= 0 {
		return 0
	}
	if den <= 0 {
		return sidewaysMost
	}
	return math.Min(sidewaysMost, wheel*track/den)
}

// WheelShift is what each wheel of the pair gains or loses, kg, sideways by a/g:
// m·(a_y/g)·(h − β·h_c)/t.
func WheelShift(mass, sideways, height, share, coupling, track float64) float64 {
	return mass * sideways * (height - share*coupling) / track
}

// bend is a steady bend taken briskly, as a share of g.
const bend = 0.3

// BrakingLoad is what the ball bears under a deceleration a/g: with the trailer
// braked by its own wheels R + m·a·h/L, braked by the car alone
// R + m·a·(h − h_c)/L.
func BrakingLoad(ball, mass, height, coupling, axle, decel float64, own bool) float64 {
	arm := height - coupling
	if own {
		arm = height
	}
	return ball + mass*decel*arm/axle
}

// HillLoad is what the ball bears standing or driving steadily on a hill, pulled
// by the car; slope is positive uphill, rad: the weight's part along the road acts
// at the centre's height and is held at the coupling's,
// R·cos θ − m·sin θ·(h − h_c)/L.
func HillLoad(ball, mass, height, coupling, axle, slope float64) float64 {
	return ball*math.Cos(slope) - mass*math.Sin(slope)*(height-coupling)/axle
}

// hill is the slope at which the ball load is stated, rad: 1 in 5.
var hill = math.Atan(0.2)

// Check judges one rig.
func Check(r *rig.Rig) []finding.Finding {
	if r.Bears == nil || r.Bears.Share == nil {
		return nil
	}
	out := append([]finding.Finding{yard(r)}, sits(r)...)
	h := r.CentreHeight()
	if h == nil || r.Outing == nil {
		return out
	}
	coupling := usualCoupling
	if c := r.Trailer.CouplingHeight; c != nil {
		coupling = float64(*c)
	}
	if r.Trailer.Track != nil {
		out = append(out, side(r, h, coupling))
	}
	return append(out, brake(r, h, coupling))
}

func base(r *rig.Rig, code, title string) finding.Finding {
	return finding.Finding{
		Code:    code,
		Stage:   "balance",
		Scope:   r.Scope,
		Subject: "/trailers/" + r.Scope.Trailer,
		Title:   said.Say(title),
		Outcome: finding.Holds,
	}
}

func heightTerm(h *span) finding.StepTerm {
	return finding.StepTerm{
		Symbol:  "h",
		Says:    said.Say("height of the whole centre"),
		Measure: finding.Of(quantity.KindLength, *h),
		How:     "computed",
	}
}

func side(r *rig.Rig, h *span, coupling float64) finding.Finding {
	f := base(r, CodeSlope, "Side slope and bends")
	f.Source = norms.Practice("half of g sideways to plan for")
	t, b := r.Beam.Track, r.Bears.Share.Nominal
	left, right, ok := r.Beam.WheelShares()
	if !ok {
		f.Outcome, f.Says, f.Needs = finding.Unknown, said.Say("Not known yet: the weight on each wheel."), r.Needs
		return f
	}
	light := span{
		Nominal: math.Min(left.Nominal, right.Nominal),
		Low:     math.Min(left.Low, right.Low),
		High:    math.Min(left.High, right.High),
	}
	lift := span{
		Nominal: WheelLift(t, light.Nominal, b, h.Nominal, coupling),
		Low:     WheelLift(t, light.Low, r.Bears.Share.High, h.High, coupling),
		High:    WheelLift(t, light.High, r.Bears.Share.Low, h.Low, coupling),
	}
	angle := span{Nominal: math.Atan(lift.Nominal), Low: math.Atan(lift.Low), High: math.Atan(lift.High)}
	f.Figure, f.Limit = finding.Of(
		quantity.KindAngle,
		angle,
	), finding.Exactly(
		quantity.KindAngle,
		math.Atan(sideways),
	)
	margin := (lift.Nominal - sideways) / sideways
	f.Margin = &margin
	alone := math.Atan(uncoupled(r, light.Nominal, h.Nominal))
	f.Says = said.Say(
		"A wheel lifts at a side slope of % (empty %, uncoupled %). The centre is % up.",
		said.Of(quantity.KindAngle, angle.Nominal),
		said.Of(
			quantity.KindAngle,
			emptySlope(r, coupling),
		),
		said.Of(quantity.KindAngle, alone),
		said.Length(h.Nominal),
	)
	shift := WheelShift(r.Bears.Mass.Nominal, bend, h.Nominal, b, coupling, t)
	if l := r.Bears.Left; l != nil {
		right := r.Bears.Right.Nominal
		f.Says = append(
			f.Says,
			said.Say(
				" In a brisk left bend the wheels carry % left and % right, in a right one % and %.",
				said.Mass(
					l.Nominal-shift,
				),
				said.Mass(right+shift),
				said.Mass(l.Nominal+shift),
				said.Mass(right-shift),
			)...)
	}
	switch {
	case lift.Nominal < sideways:
		f.Outcome, f.Tight = finding.Tight, finding.LittleRoom
		f.Says = append(f.Says, said.Say(" Load it lower, and take bends slowly.")...)
	case lift.Low < sideways:
		f.Outcome, f.Tight = finding.Tight, finding.GuessTooRough
		f.Says = append(f.Says, said.Say(" Find the centres of the loads first.")...)
	}
	f.HasWork, f.Work = true, func() []finding.Step {
		return []finding.Step{
			{
				Symbol:  "a_y/g",
				Says:    said.Say("sideways, when the inner wheel lifts"),
				Formula: "a_y/g = w·t/(h − β·h_c);  slope = arctan(a_y/g)",
				Result:  f.Figure,
				Source:  f.Source,
				Terms: []finding.StepTerm{
					{
						Symbol:  "t",
						Says:    said.Say("track"),
						Measure: finding.Exactly(quantity.KindLength, t),
						How:     string(r.Trailer.Track.How),
					},
					{
						Symbol:  "w",
						Says:    said.Say("share on the lighter wheel"),
						Measure: finding.Of(quantity.KindShare, light),
						How:     "computed",
					},
					{
						Symbol:  "β",
						Says:    said.Say("ball's share"),
						Measure: finding.Of(quantity.KindShare, *r.Bears.Share),
						How:     "computed",
					},
					heightTerm(h),
					{
						Symbol:  "h_c",
						Says:    said.Say("{coupling} height"),
						Measure: finding.Exactly(quantity.KindLength, coupling),
						How:     "stated or usual",
					}},
			},
			{
				Symbol:  "ΔR",
				Says:    said.Say("from the inner to the outer wheel in a brisk bend"),
				Formula: "ΔR = m·(a_y/g)(h − β·h_c)/t",
				Result:  finding.Exactly(quantity.KindMass, shift),
				Terms: []finding.StepTerm{
					{
						Symbol:  "m",
						Says:    said.Say("the loaded trailer"),
						Measure: finding.Of(quantity.KindMass, r.Bears.Mass),
						How:     "computed",
					},
					{
						Symbol:  "a_y/g",
						Says:    said.Say("sideways"),
						Measure: finding.Exactly(quantity.KindShare, bend),
						How:     "typical",
					}},
			},
		}
	}
	return f
}

// uncoupled is the sideways acceleration, as a share of g, at which a wheel of the trailer
// on its jockey wheel lifts: as coupled, with the jockey wheel's foot on the ground in the
// coupling's stead. What stands on that wheel, R·L/(L − x_j), comes off both others alike.
func uncoupled(r *rig.Rig, wheel, height float64) float64 {
	l := r.Axle.Nominal
	share := r.Bears.Share.Nominal
	more := share*l/math.Max(0.1, l-jockeyAt) - share
	return WheelLift(r.Beam.Track, wheel-more/2, share+more, height, 0)
}

// emptySlope is the side slope at which a wheel of the empty trailer lifts, rad.
func emptySlope(r *rig.Rig, coupling float64) float64 {
	share, wheel := emptyBall, (1-emptyBall)/2
	if e := r.EmptyMass(); e != nil && e.Nominal > 0 {
		t := &r.Trailer.Empty
		if t.Ball != nil {
			share = float64(t.Ball.Range(r.Plan).Nominal) / e.Nominal
			wheel = (1 - share) / 2
		}
		if t.Ball != nil && t.Left != nil && t.Right != nil {
			wheel = float64(min(t.Left.Range(r.Plan).Nominal, t.Right.Range(r.Plan).Nominal)) / e.Nominal
		}
	}
	return math.Atan(
		WheelLift(r.Beam.Track, wheel, share, float64(r.Trailer.DeckHeight.Value)*rig.EmptyHeight.Nominal, coupling),
	)
}

func brake(r *rig.Rig, h *span, coupling float64) finding.Finding {
	f := base(r, CodeBrake, "{Ball load} when braking")
	f.Source = norms.Practice("half of g, the whole trailer braked by its own wheels or by the car")
	b, l := r.Bears, r.Axle.Nominal
	own := BrakingLoad(b.Ball.Nominal, b.Mass.Nominal, h.Nominal, coupling, l, braking, true)
	car := BrakingLoad(b.Ball.Nominal, b.Mass.Nominal, h.Nominal, coupling, l, braking, false)
	f.Figure = finding.Exactly(quantity.KindMass, max(own, car))
	up, down := HillLoad(
		b.Ball.Nominal,
		b.Mass.Nominal,
		h.Nominal,
		coupling,
		l,
		hill,
	), HillLoad(
		b.Ball.Nominal,
		b.Mass.Nominal,
		h.Nominal,
		coupling,
		l,
		-hill,
	)
	f.Says = said.Say(
		"Braking hard, the ball carries % if the trailer brakes itself, % if the car brakes alone; up a hill of 1 in 5 %, down %.",
		said.Mass(own),
		said.Mass(car),
		said.Mass(up),
		said.Mass(down),
	)
	if up < 0 {
		f.Outcome, f.Tight = finding.Tight, finding.LittleRoom
		f.Says = append(f.Says, said.Say(" Uphill it pulls the car's tail up: move weight forward, or lower.")...)
	}
	f.HasWork, f.Work = true, func() []finding.Step {
		terms := []finding.StepTerm{
			{
				Symbol:  "R",
				Says:    said.Say("{ball load} at rest"),
				Measure: finding.Of(quantity.KindMass, b.Ball),
				How:     "computed",
			},
			{
				Symbol:  "m",
				Says:    said.Say("the loaded trailer"),
				Measure: finding.Of(quantity.KindMass, b.Mass),
				How:     "computed",
			},
			{
				Symbol:  "a/g",
				Says:    said.Say("braking"),
				Measure: finding.Exactly(quantity.KindShare, braking),
				How:     "rule followed",
			},
			heightTerm(h),
			{
				Symbol:  "h_c",
				Says:    said.Say("{coupling} height"),
				Measure: finding.Exactly(quantity.KindLength, coupling),
				How:     "stated or usual",
			},
		}
		return []finding.Step{
			{
				Symbol:  "R_own",
				Says:    said.Say("braked by its own wheels"),
				Formula: "R + m·(a/g)·h/L",
				Result:  finding.Exactly(quantity.KindMass, own),
				Terms:   terms,
			},
			{
				Symbol:  "R_car",
				Says:    said.Say("braked by the car"),
				Formula: "R + m·(a/g)·(h − h_c)/L",
				Result:  finding.Exactly(quantity.KindMass, car),
			},
			{
				Symbol:  "R_up",
				Says:    said.Say("up a hill of 1 in 5"),
				Formula: "R·cos θ − m·sin θ·(h − h_c)/L",
				Result:  finding.Exactly(quantity.KindMass, up),
			},
			{
				Symbol:  "R_down",
				Says:    said.Say("down it"),
				Formula: "R·cos θ + m·sin θ·(h − h_c)/L",
				Result:  finding.Exactly(quantity.KindMass, down),
			},
		}
	}
	return f
}

// yard is the trailer unhitched, moved by hand.
func yard(r *rig.Rig) finding.Finding {
	f := base(r, CodeYard, "By hand in the yard")
	f.Source = norms.Practice("one person lifts 25 kg easily, 40 kg at most, and pushes 25 kg steadily")
	b, l := r.Bears, r.Axle.Nominal
	ball, m := b.Ball, b.Mass.Nominal
	jockey := ball.Nominal * l / math.Max(0.1, l-jockeyAt)
	f.Figure = finding.Of(quantity.KindMass, ball)
	f.Limit = finding.Exactly(quantity.KindMass, liftMost)
	push := said.Say(
		"pushing takes % on firm ground, % on gravel, % on grass",
		said.Mass(m*rollFirm.Nominal),
		said.Mass(m*rollGravel.Nominal),
		said.Mass(m*rollGrass.Nominal),
	)
	lift := said.Mass(math.Max(0, ball.Nominal))
	switch {
	case ball.Nominal < 0:
		f.Outcome, f.Tight = finding.Tight, finding.LittleRoom
		f.Says = said.Say(
			"Unhitched it tips back: it takes % to hold the {coupling} down. Prop the tail first; nobody at the {drawbar}.",
			said.Mass(-ball.Nominal),
		)
	case ball.Low < 0:
		f.Outcome, f.Tight = finding.Tight, finding.GuessTooRough
		f.Says = append(said.Say("Unhitched it may tip back: prop the tail first. Lift %; ", lift), push...)
	case ball.Nominal > liftMost: // every well laden rig: the jockey wheel is there for it
		f.Says = append(
			said.Say(
				"% at the {coupling} is too much for one person: use the {jockey wheel} (% on it); ",
				lift,
				said.Mass(jockey),
			),
			push...)
	case ball.Nominal > liftEasy:
		f.Says = append(
			said.Say(
				"% to lift at the {coupling}, a job for one person at most; % on the {jockey wheel}; ",
				lift,
				said.Mass(jockey),
			),
			push...)
	default:
		f.Says = append(said.Say("% to lift at the {coupling}; ", lift), push...)
	}
	end := ". Chock it on any slope."
	if ball.Nominal < 0 { // nobody pushes it before it is propped
		end = " Chock it on any slope."
	} else if m*rollGrass.Nominal > pushSteady {
		end = ": two people on grass" + end
	}
	f.Says = append(f.Says, said.Piece{Text: end})
	f.HasWork, f.Work = true, func() []finding.Step {
		return []finding.Step{
			{
				Symbol:  "R_j",
				Says:    said.Say("on the {jockey wheel}"),
				Formula: "R_j = R_ball·L/(L − x_j)",
				Result:  finding.Exactly(quantity.KindMass, jockey),
				Terms: []finding.StepTerm{
					{
						Symbol:  "R_ball",
						Says:    said.Say("{ball load}"),
						Measure: finding.Of(quantity.KindMass, ball),
						How:     "computed",
					},
					{
						Symbol:  "x_j",
						Says:    said.Say("{jockey wheel} behind the ball"),
						Measure: finding.Exactly(quantity.KindLength, jockeyAt),
						How:     "typical",
					}},
			},
			{
				Symbol:  "F",
				Says:    said.Say("push on grass, as a weight"),
				Formula: "F = c_r·m",
				Result: finding.Of(
					quantity.KindMass,
					span{Nominal: m * rollGrass.Nominal, Low: m * rollGrass.Low, High: m * rollGrass.High},
				),
				Source: f.Source,
				Terms: []finding.StepTerm{
					{
						Symbol:  "m",
						Says:    said.Say("the loaded trailer"),
						Measure: finding.Of(quantity.KindMass, b.Mass),
						How:     "computed",
					},
					{
						Symbol:  "c_r",
						Says:    said.Say("rolling resistance on grass"),
						Measure: finding.Of(quantity.KindShare, rollGrass),
						How:     "typical",
					}},
			},
		}
	}
	return f
}
