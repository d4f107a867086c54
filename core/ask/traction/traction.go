// Package traction answers whether what tows can pull, hold and let down its trailer off the
// road: on grass, gravel, mud and wet slips, by slope. Formulas: docs/method/traction.md.
package traction

import (
	"math"

	"zygonos/core/facts/norms"
	"zygonos/core/lang/finding"
	"zygonos/core/lang/quantity"
	"zygonos/core/lang/said"
	"zygonos/core/plan"
	"zygonos/core/rig"
)

// Stage under which the findings stand.
const Stage = "vehicle"

// Codes of the findings made here.
const (
	CodeClimb   = "traction.climb"
	CodeStand   = "traction.stand"
	CodeDescend = "traction.descend"
	CodeFolds   = "traction.folds"
	CodeSteer   = "traction.steer"
	CodeMost    = "traction.most"
)

// lightMachine is the mass under which a machine is taken to brake with its rear wheels alone, as
// mowers and small tractors do, kg (C).
const lightMachine = 800.0

// usualCarUp is the height of a car's centre where it is not stated, m (C).
const usualCarUp = 0.55

// Check judges the worst ground of the outing, and the slip where a boat comes out.
func Check(r *rig.Rig) []finding.Finding {
	if r.Outing == nil || r.Vehicle == nil {
		return nil
	}
	var out []finding.Finding
	if g := r.Outing.Ground; g != nil && g.On != "" {
		ground, _ := norms.GroundOf(g.On)
		out = append(out, judge(r, ground, g.Slope, "ground")...)
	}
	if s := r.Outing.Slip; s != nil && s.Angle > 0 && (r.Outing.Ground == nil || r.Outing.Ground.Slope < s.Angle) {
		ground, _ := norms.GroundOf("slip")
		out = append(out, judge(r, ground, s.Angle, "slip")...)
	}
	return out
}

// needs lists what is missing of car and trailer.
func needs(r *rig.Rig) []finding.Need {
	v, vp := r.Vehicle, "/towVehicles/"+r.VehicleID
	var out []finding.Need
	add := func(missing bool, path, says, where string) {
		if missing {
			out = append(out, finding.Need{Path: path, Says: said.Say(says), Where: said.Say(where)})
		}
	}
	_, mass := r.CarMass()
	out = append(out, mass...)
	add(
		v.RearEmpty == nil,
		vp+"/rearEmpty",
		"what the car's rear axle weighs empty",
		"Drive only the rear wheels onto a {weighbridge}.",
	)
	add(v.Wheelbase == nil, vp+"/wheelbase", "the car's wheelbase", "Tape between the wheels' middles.")
	add(v.RearOverhang == nil, vp+"/rearOverhang", "the distance from rear axle to ball", "Tape it.")
	add(v.Drive == "", vp+"/drive", "which wheels drive", "Look in its papers, or at its shafts.")
	add(
		r.Trailer.DeckHeight == nil,
		"/trailers/"+r.Scope.Trailer+"/deckHeight",
		"the deck's height",
		"Tape from the ground to the deck.",
	)
	if r.Bears == nil {
		out = append(out, r.Needs...)
	}
	return out
}

// of is the rig on the slope, with the middle of what is known.
func of(r *rig.Rig) *Rig {
	v := r.Vehicle
	mass, _ := r.CarMass()
	rear, _ := r.CarRear(&r.Bears.Ball)
	wb, oh := float64(v.Wheelbase.Value), float64(v.RearOverhang.Value)
	alone := rear.Nominal - r.Bears.Ball.Nominal*rig.Lever(wb, oh)
	up := usualCarUp
	if v.CentreUp != nil {
		up = float64(*v.CentreUp)
	}
	high := 0.0
	if h := r.CentreHeight(); h != nil {
		high = h.Nominal
	}
	brakes := r.Trailer.Brakes
	return &Rig{
		Car: mass.Nominal, RearShare: alone / mass.Nominal, Wheelbase: wb, Overhang: oh, CarUp: up, Ball: r.BallHeight(),
		Trailer: r.Bears.Mass.Nominal, OnBall: r.Bears.Ball.Nominal, Axle: r.Axle.Nominal, TrailerUp: high,
		Own:   brakes != "" && brakes != plan.BrakesNone,
		Front: v.Drive != plan.CarRear, Rear: v.Drive != plan.CarFront, RearBrake: v.RearOnly || mass.Nominal < lightMachine,
	}
}

func judge(r *rig.Rig, ground norms.Ground, slope float64, where string) []finding.Finding {
	path := "/outings/" + r.Scope.Outing + "/" + where
	base := func(code, title string) finding.Finding {
		return finding.Finding{
			Code: code, Stage: Stage, Scope: r.Scope, Gate: finding.GateGo, Subject: path, Title: said.Say(title),
			Outcome: finding.Holds, Source: norms.Practice("friction of tyres by ground, a range"),
		}
	}
	on := said.Say("On %, %", said.Piece{Text: ground.Name}, said.Of(quantity.KindAngle, slope))
	missing := needs(r)
	if len(missing) > 0 {
		f := base(CodeClimb, "Traction")
		f.Outcome, f.Needs = finding.Unknown, missing
		f.Says = append(on, said.Say(": whether it pulls away and holds is not known.")...)
		return []finding.Finding{f}
	}
	t := of(r)
	climb, l := t.Climb(slope, ground.Rolling)
	stand, _ := t.Stand(slope)
	descend, _ := t.Descend(slope)
	folds, _ := t.Folds(slope)
	// The same with the trailer as heavy as the guesses allow.
	heavy := *t
	heavy.Trailer = r.Bears.Mass.High
	heavy.OnBall = t.OnBall / math.Max(1e-9, t.Trailer) * heavy.Trailer
	climbs, _ := heavy.Climb(slope, ground.Rolling)
	stands, _ := heavy.Stand(slope)
	descends, _ := heavy.Descend(slope)
	folded, _ := heavy.Folds(slope)
	var out []finding.Finding
	for _, c := range []struct {
		code, title string
		takes, most float64
		says, act   string
	}{
		{CodeClimb, "Starting uphill", climb, climbs, ": pulling away uphill needs a grip of %, and there is % to %.",
			" Put weight over the driven wheels, fit chains, or pull it up by a line."},
		{CodeStand, "Standing on the slope", stand, stands, ": standing on the parking brake needs a grip of %, and there is % to %.",
			" Chock the trailer's wheels before anything else."},
		{CodeDescend, "Going down", descend, descends, ": slowing down on the way down needs a grip of %, and there is % to %.",
			" Go down empty, or let it down by a line from above."},
		{CodeFolds, "Pushed round by the trailer", folds, folded, ": pushed at an angle on the way down, the rear wheels need a grip of %, and there is % to %.",
			" Go straight down; do not turn or brake on the slope."},
	} {
		f := base(c.code, c.title)
		f.Figure, f.Limit = finding.Exactly(
			quantity.KindShare,
			c.takes,
		), finding.Exactly(
			quantity.KindShare,
			ground.Low,
		)
		grip := said.Share(math.Round(c.takes*100) / 100)
		f.Says = append(append(said.Sentence{}, on...), said.Say(c.says, grip,
			said.Share(ground.Low), said.Share(ground.High))...)
		margin := (ground.Low - c.takes) / ground.Low
		f.Margin = &margin
		switch {
		case f.Figure == nil: // nothing presses on those wheels
			f.Outcome, f.Margin, f.Limit = finding.Fails, nil, nil
			f.Says = append(
				append(said.Sentence{}, on...),
				said.Say(": the wheels that should do it are off the ground."+c.act)...)
		case c.takes > ground.High:
			f.Outcome = finding.Fails
			f.Says = append(f.Says, said.Say(c.act)...)
		case max(c.takes, c.most) > ground.Low:
			f.Outcome, f.Tight = finding.Tight, finding.GuessTooRough
			f.Says = append(f.Says, said.Say(" It may work and it may not: try it empty first.")...)
		case c.takes > ground.Low*(1-finding.Reserve):
			f.Outcome, f.Tight = finding.Tight, finding.LittleRoom
		}
		out = append(out, f)
	}
	if f := base(CodeSteer, "Front wheels on the slope"); l.Front < steers*t.Car {
		f.Outcome = finding.Fails
		f.Figure, f.Limit = finding.Exactly(
			quantity.KindMass,
			l.Front,
		), finding.Exactly(
			quantity.KindMass,
			steers*t.Car,
		)
		f.Says = append(
			append(said.Sentence{}, on...),
			said.Say(
				": going up, the front wheels carry % and do not steer. Put less on the ball, or weight in front.",
				said.Mass(l.Front),
			)...)
		out = append(out, f)
	}
	f := base(CodeMost, "Heaviest trailer here")
	f.Compares = true
	f.Figure = finding.Exactly(quantity.KindMass, t.Heaviest(slope, ground.Rolling, ground.Low))
	f.Says = append(
		append(said.Sentence{}, on...),
		said.Say(" it manages a trailer of % for certain, loaded the same way.",
			said.Mass(f.Figure.Value))...)
	if f.Figure.Value < 1 {
		f.Says = append(append(said.Sentence{}, on...), said.Say(" it is certain to manage no trailer at all.")...)
	}
	return append(out, f)
}
