package ramp

import (
	"math"

	"zygonos/core/beam"
	"zygonos/core/catalogue"
	"zygonos/core/finding"
	"zygonos/core/norms"
	"zygonos/core/parts"
	"zygonos/core/plan"
	"zygonos/core/quantity"
	"zygonos/core/rig"
	"zygonos/core/said"
	"zygonos/core/section"
)

// Codes of the findings made here.
const (
	CodeSetup     = "ramp.setup"
	CodeAngle     = "ramp.angle"
	CodeClear     = "ramp.clearance"
	CodeTip       = "ramp.tip"
	CodeCar       = "ramp.car"
	CodeProps     = "ramp.props"
	CodeStrength  = "ramp.strength"
	CodeRating    = "ramp.rating"
	CodeHold      = "ramp.hold"
	CodeWidth     = "ramp.width"
	CodeLift      = "ramp.lift"
	CodeFleet     = "ramp.fleet"
	CodePostBolts = "ramp.post-bolts"
	CodePin       = "ramp.pin"
	CodeBed       = "ramp.bed"
	CodePerson    = "ramp.person"
	CodeWinch     = "ramp.winch"
	CodeLine      = "ramp.line"
	CodeCrank     = "ramp.crank"
	CodeBattery   = "ramp.battery"
	CodePost      = "ramp.post"
)

// stepsLive is how many steps the checks take.
const stepsLive = 160

// Figures of practice (confidence C).
const (
	shock      = 1.5 // of a wheel that rolls onto a ramp
	reserve    = 1.5 // yield over stress
	timber     = 2.5
	offCentre  = 0.1 // m that a machine is driven off the ramps' middle
	friction   = 0.8 // rubber on a dry ramp
	lipLeast   = 0.06
	gapMost    = 0.4 // of a wheel's radius
	liftEasy   = 25.0
	personMass = 90.0
)

// steepest are the angles that practice recommends at most, rad, by what goes up (C).
var steepest = map[string]float64{
	"ride-on": 15, "zero-turn": 15, "motorcycle": 15, "moped": 15, "golf-cart": 15, "car-small": 10,
	"quad": 20, "quad-child": 20, "utv": 18, "utv-four": 18, "motocross": 20, "tractor": 18, "tractor-loader": 18, "excavator": 18,
}

// usualSteepest is that of a kind that is not listed, degrees.
const usualSteepest = 15.0

func sizeOf(p plan.Profile) section.Size { return parts.SizeOf(p) }

func stockOf(p plan.Profile) catalogue.Stock {
	s, _ := catalogue.StockOf(p.Material)
	return s
}

func (s *Setup) base(code, title string) finding.Finding {
	return base(s.Rig, code, title)
}

func base(r *rig.Rig, code, title string) finding.Finding {
	subject := r.LayoutPath("/loading")
	return finding.Finding{Code: code, Stage: Stage, Scope: r.Scope, Gate: finding.GateGo, Subject: subject, Title: said.Say(title), Outcome: finding.Holds}
}

// CodeCut is of own ramps' pieces.
const CodeCut = "ramp.cut"

// Check judges how a machine gets on; where none does, what a person at the tail does
// to the empty trailer.
func Check(r *rig.Rig) []finding.Finding {
	var out []finding.Finding
	if f, ok := person(r); ok {
		out = append(out, f)
	}
	s, missing, fails := Prepare(r)
	switch {
	case len(missing) > 0:
		f := base(r, CodeSetup, "Getting it on")
		f.Outcome, f.Needs = finding.Unknown, missing
		f.Says = append(append(said.Say("Not known yet: "), missing[0].Says...), said.Piece{Text: "."})
		return append(out, f)
	case fails != nil:
		f := base(r, CodeSetup, "Getting it on")
		f.Outcome, f.Says = finding.Fails, fails
		return append(out, f)
	case s == nil:
		return out
	}
	steps := s.Drive(stepsLive)
	w := WorstOf(steps)
	out = append(out, s.angle(), s.clearance(&steps[w.Clearance]), s.tip(&steps[w.Ball]))
	for _, check := range []func() (finding.Finding, bool){
		func() (finding.Finding, bool) { return s.car(&steps[w.Ball]) },
		func() (finding.Finding, bool) { return s.props(steps, w.Prop) },
		func() (finding.Finding, bool) { return s.strength(steps, w.Bending) },
		s.rating, s.width, s.lift, s.cut} {
		if f, ok := check(); ok {
			out = append(out, f)
		}
	}
	if s.Tilts {
		out = append(out, s.bed(steps))
	} else {
		out = append(out, s.hold(steps))
	}
	return append(out, s.winch(steps)...)
}

func (s *Setup) angle() finding.Finding {
	f := s.base(CodeAngle, "Ramp's angle")
	kind := ""
	if s.Item.Load != nil {
		kind = s.Item.Load.Kind
	}
	most, ok := steepest[kind]
	if !ok {
		most = usualSteepest
	}
	limit := most * math.Pi / 180
	f.Source = norms.Practice("usual steepest angle by kind of machine")
	f.Figure, f.Limit = finding.Exactly(quantity.KindAngle, s.Angle), finding.Exactly(quantity.KindAngle, limit)
	margin := (limit - s.Angle) / limit
	f.Margin = &margin
	h := s.Top.Z - s.Foot.Z
	f.Says = said.Say("Ramps of % rise % at %.", said.Length(s.Ramp.Length), said.Length(h), said.Of(quantity.KindAngle, s.Angle))
	if s.Angle > limit {
		f.Outcome, f.Tight = finding.Tight, finding.LittleRoom
		f.Says = append(f.Says, said.Say(" For % it takes %.", said.Of(quantity.KindAngle, limit), said.Length(h/math.Sin(limit)))...)
	}
	f.HasWork, f.Work = true, func() []finding.Step {
		return []finding.Step{{Symbol: "θ", Says: said.Say("ramp to level"), Formula: "θ = asin(h/l)", Result: f.Figure, Source: f.Source, Terms: []finding.StepTerm{
			{Symbol: "h", Says: said.Say("tail over the ramp's foot, empty and unsunk"), Measure: finding.Exactly(quantity.KindLength, h), How: "computed"},
			{Symbol: "l", Says: said.Say("ramp"), Measure: finding.Exactly(quantity.KindLength, s.Ramp.Length), How: "stated", Path: "/parts/" + s.RampID + "/ramp/length"}}}}
	}
	return f
}

func (s *Setup) clearance(at *Step) finding.Finding {
	f := s.base(CodeClear, "Under the belly")
	f.Source = norms.Practice("30 mm left")
	margin := (at.Clearance - clearLeast) / clearLeast
	f.Figure, f.Limit, f.Margin = finding.Exactly(quantity.KindLength, at.Clearance), finding.Exactly(quantity.KindLength, clearLeast), &margin
	place := said.Say("with its front wheels on the ground")
	switch u := at.Pose.Front.At.U; {
	case u > s.Top.U:
		place = said.Say("with its front wheels % on the deck", said.Length(u-s.Top.U))
	case u > s.Foot.U:
		place = said.Say("with its front wheels % up the ramp", said.Length(math.Hypot(u-s.Foot.U, at.Pose.Front.At.Z-s.Foot.Z)))
	}
	switch {
	case at.Clearance < clearLeast:
		if f.Outcome = finding.Fails; at.Clearance >= 0 {
			f.Outcome, f.Tight = finding.Tight, finding.LittleRoom
			f.Says = append(said.Say("Only % under it, ", said.Length(at.Clearance)), place...)
		} else {
			f.Says = append(said.Say("It hangs by %, ", said.Length(-at.Clearance)), place...)
		}
		if l := s.Shortest(clearLeast); l > 0 {
			f.Says = append(f.Says, said.Say(". Ramps of % clear.", said.Length(l))...)
		} else {
			f.Says = append(f.Says, said.Say(". Blocks under the ramp's foot, or raise the {coupling}.")...)
		}
	default:
		f.Says = append(append(said.Say("% under it at least, ", said.Length(at.Clearance)), place...), said.Piece{Text: "."})
	}
	if len(s.Rough) > 0 && f.Outcome != finding.Fails {
		f.Outcome, f.Tight = finding.Tight, finding.GuessTooRough
		f.Says = append(f.Says, said.Say(" Its own figures are usual ones: tape them.")...)
		f.Needs = s.Rough
	}
	return f
}

func (s *Setup) tip(at *Step) finding.Finding {
	f := s.base(CodeTip, "Tipping while it goes on")
	f.Source = norms.Practice("25 kg left on the jockey wheel")
	limit := 0.0
	if s.Loading.Unhitched {
		limit = jockeyLeast
	}
	f.Figure, f.Limit = finding.Exactly(quantity.KindMass, at.Ball), finding.Exactly(quantity.KindMass, limit)
	name := said.Name(s.Item.Name, "the machine")
	f.HasWork, f.Work = true, func() []finding.Step {
		return []finding.Step{{Symbol: "R", Says: said.Say("least at the {coupling}"), Formula: "R·L = R₀·L + Σ (L − x)·V + Σ (z − z₀)·A", Result: f.Figure, Source: f.Source, Terms: []finding.StepTerm{
			{Symbol: "R₀", Says: said.Say("without the machine, ramps hung at the tail"), Measure: finding.Exactly(quantity.KindMass, s.Bare), How: "computed"},
			{Symbol: "L", Says: said.Say("{coupling} to axle"), Measure: finding.Exactly(quantity.KindLength, s.Axle), How: "stated", Path: s.Rig.AxlePath}}}}
	}
	propped := s.Loading.Props != nil
	switch {
	case s.Loading.Unhitched && at.Ball < 0 && !propped:
		f.Outcome = finding.Fails
		f.Says = said.Say("Unhitched it tips: % too light at the {coupling} as % comes on, held by % of what tips it. Hitch it, or prop the tail.", said.Mass(-at.Ball), name, said.Share(s.Bare/max(1e-9, s.Bare-at.Ball)))
	case s.Loading.Unhitched && at.Ball < 0:
		f.Outcome, f.Tight = finding.Tight, finding.LittleRoom
		f.Says = said.Say("Unhitched it leans on its props: % too light at the {coupling}. Hitch it if you can.", said.Mass(-at.Ball))
	case s.Loading.Unhitched && at.Ball < jockeyLeast:
		f.Outcome, f.Tight = finding.Tight, finding.LittleRoom
		f.Says = said.Say("Only % stays on the jockey wheel. Hitch it first.", said.Mass(at.Ball))
	case at.Ball < 0:
		f.Outcome, f.Tight = finding.Tight, finding.LittleRoom
		f.Says = said.Say("It lifts the car by % as it comes on: handbrake, gear, coupling latched. Props take that.", said.Mass(-at.Ball))
	default:
		f.Says = said.Say("At least % stays at the {coupling} on the way.", said.Mass(at.Ball))
	}
	return f
}

func (s *Setup) car(at *Step) (finding.Finding, bool) {
	r := s.Rig
	if s.Loading.Unhitched || r.Vehicle == nil || at.Ball >= 0 {
		return finding.Finding{}, false
	}
	f := s.base(CodeCar, "Car's rear axle")
	rear, needs := r.CarRear(&quantity.Range[float64]{Nominal: at.Ball, Low: at.Ball, High: at.Ball})
	if rear == nil {
		f.Outcome, f.Needs, f.Says = finding.Unknown, needs, said.Say("Not known how much stays on the car's rear wheels.")
		return f, true
	}
	lifts := -at.Ball * rig.Lever(float64(r.Vehicle.Wheelbase.Value), float64(r.Vehicle.RearOverhang.Value))
	f.Figure = finding.Exactly(quantity.KindMass, rear.Nominal)
	f.Says = said.Say("% comes off the car's rear axle, % stays.", said.Mass(lifts), said.Mass(rear.Nominal))
	if rear.Nominal < 0.7*(rear.Nominal+lifts) {
		f.Outcome, f.Tight = finding.Tight, finding.LittleRoom
		f.Says = append(f.Says, said.Say(" A parking brake on the rear wheels holds the less: chock it.")...)
	}
	return f, true
}

func (s *Setup) props(steps []Step, at int) (finding.Finding, bool) {
	p := s.Loading.Props
	if p == nil {
		return finding.Finding{}, false
	}
	f := s.base(CodeProps, "Rear props")
	if math.IsNaN(steps[at].Prop) {
		path := "/trailers/" + s.Rig.Scope.Trailer + "/sinks"
		f.Outcome, f.Says = finding.Unknown, said.Say("Not known what the props bear: how far do the springs sink?")
		f.Needs = []finding.Need{{Path: path, Says: said.Say("how far the springs sink at their rating"), Where: said.Say("Tape a wheel's height empty and loaded.")}}
		return f, true
	}
	f.Source = norms.Practice("a prop set with a gap bears what the springs leave")
	f.Figure = finding.Exactly(quantity.KindMass, steps[at].Prop)
	least := 0.0
	front, _ := s.Rig.Deck()
	x := front + float64(p.Back)
	if tip := steps[WorstOf(steps).Ball].Ball; tip < 0 && x > s.Axle {
		least = -tip * s.Axle / (x - s.Axle)
	}
	f.Says = said.Say("Set with % of air the props bear up to %, both together; % keeps it from tipping. Plates under them.", said.Length(p.Gap), said.Mass(steps[at].Prop), said.Mass(least))
	if x <= s.Axle {
		f.Outcome, f.Says = finding.Fails, said.Say("Props before the axle hold nothing: put them at the tail.")
	}
	return f, true
}

// strength is the ramp's own: side sections bent by the wheels of one track, shock
// counted, the machine driven a little off the middle.
func (s *Setup) strength(steps []Step, at int) (finding.Finding, bool) {
	p := s.Ramp.Profile
	if p == nil {
		return finding.Finding{}, false
	}
	f := s.base(CodeStrength, "Ramp's sides")
	f.Gate = finding.GateCut
	f.Source = norms.Practice("shock 1.5, 100 mm off the middle; reserve 1.5 on yield, 2.5 on timber")
	sec, err := section.Of(sizeOf(*p))
	if err != nil {
		f.Outcome, f.Says = finding.Fails, said.Say("The ramp's section makes no sense: "+err.Error()+".")
		return f, true
	}
	stock := stockOf(*p)
	allowed := stock.Yield / reserve
	if stock.Timber {
		allowed = stock.Yield / timber
	}
	share := 1.0
	if s.Ramp.Kind == "" || s.Ramp.Kind == plan.RampPair {
		if share = 0.5; s.Track > 0 {
			share = 0.5 + offCentre/s.Track
		}
	}
	sides := float64(s.Ramp.Sides)
	if sides == 0 {
		sides = 2
	}
	moment := steps[at].Bending * quantity.Gravity
	length := float64(s.Ramp.Length)
	if s.Ramp.Middle { // on three supports, at the worst of the steps
		moment = 0
		for i := range steps {
			moment = max(moment, s.onMiddle(&steps[i], length))
		}
	}
	w, inertia := sec.Weak(true)
	stress := shock * share * moment / (sides * w)
	margin := (allowed - stress) / allowed
	f.Figure, f.Limit, f.Margin = finding.Exactly(quantity.KindStress, stress), finding.Exactly(quantity.KindStress, allowed), &margin
	// Taken as loaded in the middle by what bends it as much: w = M·l²/(12·E·I).
	sag := share * moment * length * length / (12 * sides * stock.Modulus * inertia)
	f.Says = said.Say("The ramp's sides are used to % and bend % as it rolls over.", said.Share(stress/allowed), said.Length(sag))
	switch {
	case stress > allowed:
		f.Outcome = finding.Fails
		f.Says = append(f.Says, said.Say(" A stronger section, or a leg under the middle.")...)
	case margin < 0.1:
		f.Outcome, f.Tight = finding.Tight, finding.LittleRoom
	}
	if s.Ramp.Gap > 0 && float64(s.Ramp.Gap) > gapMost*min(s.Body.FrontR, s.Body.RearR) {
		f.Outcome = finding.Worse(f.Outcome, finding.Tight)
		f.Says = append(f.Says, said.Say(" Treads % apart swallow its small wheels.", said.Length(s.Ramp.Gap))...)
	}
	f.HasWork, f.Work = true, func() []finding.Step {
		return []finding.Step{{Symbol: "σ", Says: said.Say("greatest stress in a side"), Formula: "σ = 1.5·share·M/(n·W)", Result: f.Figure, Source: f.Source, Terms: []finding.StepTerm{
			{Symbol: "M", Says: said.Say("greatest bending of the ramps together, as a weight on one metre"), Measure: finding.Exactly(quantity.KindMass, moment/quantity.Gravity), How: "computed"},
			{Symbol: "share", Says: said.Say("on the busier ramp"), Measure: finding.Exactly(quantity.KindShare, share), How: "rule followed"},
			{Symbol: "n", Says: said.Say("sides of a ramp"), Measure: finding.Exactly(quantity.KindCount, sides), How: "stated"}}}}
	}
	return f, true
}

// Pieces are what own ramps are cut from: sides of the ramp's length, treads between them
// a gap apart; and what they weigh, kg.
func Pieces(r *plan.Ramp) (sides, treads int, tread, mass float64) {
	if r.Profile == nil {
		return 0, 0, 0, 0
	}
	ramps := 2
	if r.Kind != "" && r.Kind != plan.RampPair {
		ramps = 1
	}
	per := r.Sides
	if per == 0 {
		per = 2
	}
	sides = ramps * per
	each := func(p plan.Profile, l float64) float64 {
		s, err := section.Of(sizeOf(p))
		if err != nil {
			return 0
		}
		return s.Area * l * stockOf(p).Density
	}
	mass = float64(sides) * each(*r.Profile, float64(r.Length))
	of := r.Tread
	if of == nil {
		of = r.Profile
	}
	broad := float64(max(of.Width, of.Height))
	tread = float64(r.Width) - 2*float64(max(r.Profile.Width, r.Profile.Height))
	if tread <= 0 || float64(r.Gap)+broad <= 0 {
		return sides, 0, 0, mass
	}
	treads = ramps * int(math.Floor((float64(r.Length)+float64(r.Gap))/(broad+float64(r.Gap))+1e-9))
	return sides, treads, tread, mass + float64(treads)*each(*of, tread)
}

// cut tells the pieces of own ramps.
func (s *Setup) cut() (finding.Finding, bool) {
	if s.Ramp.Profile == nil || s.Tilts {
		return finding.Finding{}, false
	}
	sides, treads, tread, mass := Pieces(s.Ramp)
	f := s.base(CodeCut, "Cutting the ramps")
	f.Gate, f.Source = finding.GateCut, norms.Practice("treads between the sides")
	f.Figure = finding.Exactly(quantity.KindMass, mass)
	f.Says = said.Say("% sides of %", said.Count(sides), said.Length(s.Ramp.Length))
	if treads > 0 {
		f.Says = append(f.Says, said.Say(", % treads of %", said.Count(treads), said.Length(tread))...)
	}
	f.Says = append(f.Says, said.Say(": % in all.", said.Mass(mass))...)
	if treads == 0 {
		f.Outcome, f.Says = finding.Unknown, append(f.Says, said.Say(" Treads: tell the ramp's width.")...)
		f.Needs = []finding.Need{{Path: "/parts/" + s.RampID + "/ramp/width", Says: said.Say("the width of one ramp"), Where: said.Say("The widest tyre and 60 mm.")}}
	}
	return f, true
}

// onMiddle is the greatest moment of a ramp with a leg under its middle, N·m.
func (s *Setup) onMiddle(st *Step, l float64) float64 {
	b := beam.Beam{Length: l, Stiffness: 1, Supports: []beam.Support{{At: 0}, {At: l / 2}, {At: l}}}
	cos := math.Cos(s.Angle)
	for _, f := range []Push{st.Wheels.Front, st.Wheels.Rear} {
		if p := (f.At.U - s.Foot.U) / cos; p > 0 && p < l {
			b.Loads = append(b.Loads, beam.Load{At: p, Force: (f.Down*cos + f.Ahead*math.Sin(s.Angle)) * quantity.Gravity})
		}
	}
	if len(b.Loads) == 0 {
		return 0
	}
	res, err := b.Solve()
	if err != nil {
		return 0
	}
	return math.Abs(res.Moment)
}

// bed is where a tilted bed comes down, and that it must be held.
func (s *Setup) bed(steps []Step) finding.Finding {
	f := s.base(CodeBed, "Tilting bed")
	f.Source = norms.Practice("it drops when nothing is left on its tail")
	at, ok := s.Drops(steps)
	if !ok {
		f.Outcome, f.Tight = finding.Tight, finding.LittleRoom
		f.Says = said.Say("The bed does not come down by itself before the machine is home: draw it down, then latch it.")
		return f
	}
	f.Figure = finding.Exactly(quantity.KindLength, at)
	f.Says = said.Say("The bed drops level with the front wheels % from the {headboard}. A damper or a slow hand; latch and pin it before you move.", said.Length(at))
	return f
}

// rating holds a bought ramp's number against the machine, as what it counts says.
// Where that is not told all readings are tried.
func (s *Setup) rating() (finding.Finding, bool) {
	ramp, path := s.Ramp, "/parts/"+s.RampID+"/ramp"
	if ramp.Rating == nil {
		if s.Tilts || ramp.Profile != nil {
			return finding.Finding{}, false
		}
		f := s.base(CodeRating, "Ramp's rating")
		f.Outcome, f.Says = finding.Unknown, said.Say("What do the ramps bear? Look for their plate.")
		if ramp.Kind == plan.RampGate {
			f.Says = said.Say("A tailgate is seldom rated as a ramp: hinges and latch give first. Look for its plate.")
		}
		f.Needs = []finding.Need{{Path: path + "/rating", Says: said.Say("the ramps' rating"), Where: said.Say("On the ramp; for the pair or for each, an axle or the vehicle?")}}
		return f, true
	}
	f := s.base(CodeRating, "Ramp's rating")
	axle := s.All * max(s.Body.CentreAhead, s.Body.Base-s.Body.CentreAhead) / s.Body.Base
	if s.Angle > 0 { // going up, the rear ones bear more by the height of the centre
		axle = min(s.All, axle+s.All*s.Body.CentreUp*math.Tan(s.Angle)/s.Body.Base)
	}
	worst, best := 0.0, math.Inf(1)
	for _, counts := range []plan.RampCounts{plan.RampAxle, plan.RampVehicle} {
		for _, per := range []plan.RampPer{plan.PerPair, plan.PerEach} {
			if ramp.Counts != "" && ramp.Counts != counts || ramp.Per != "" && ramp.Per != per {
				continue
			}
			on := axle
			if counts == plan.RampVehicle {
				on = s.All
			}
			if per == plan.PerEach && (ramp.Kind == "" || ramp.Kind == plan.RampPair) {
				on /= 2
			}
			worst, best = max(worst, on), min(best, on)
		}
	}
	limit := float64(*ramp.Rating)
	f.Figure, f.Limit = finding.Exactly(quantity.KindMass, worst), finding.Exactly(quantity.KindMass, limit)
	margin := (limit - worst) / limit
	f.Margin = &margin
	switch {
	case best > limit:
		f.Outcome, f.Says = finding.Fails, said.Say("However it is read, % on ramps for %.", said.Mass(best), said.Mass(limit))
	case worst > limit:
		f.Outcome, f.Says = finding.Unknown, said.Say("% or % on ramps for %: is that for one or the pair, an axle or the vehicle?", said.Mass(best), said.Mass(worst), said.Mass(limit))
		f.Needs = []finding.Need{{Path: path + "/counts", Says: said.Say("what the ramps' rating counts"), Where: said.Say("Ask the seller; it is seldom printed.")}}
	case margin < 0.1:
		f.Outcome, f.Tight, f.Says = finding.Tight, finding.LittleRoom, said.Say("% on ramps for %.", said.Mass(worst), said.Mass(limit))
	default:
		f.Says = said.Say("% on ramps for %.", said.Mass(worst), said.Mass(limit))
	}
	return f, true
}

// hold is what kicks the ramp off the tail: at most μ·N of the heavier axle on it.
func (s *Setup) hold(steps []Step) finding.Finding {
	f := s.base(CodeHold, "Ramp kept on the tail")
	f.Source = norms.Practice("rubber on a dry ramp grips 0.8; lip of 60 mm")
	most := 0.0
	for i := range steps {
		for _, p := range []Push{steps[i].Wheels.Front, steps[i].Wheels.Rear} {
			if p.At.U > s.Foot.U && p.At.U < s.Top.U {
				most = max(most, friction*(p.Down*math.Cos(s.Angle)+p.Ahead*math.Sin(s.Angle)))
			}
		}
	}
	f.Figure = finding.Exactly(quantity.KindMass, most)
	switch s.Ramp.Held {
	case plan.HeldPins, plan.HeldChains:
		f.Says = said.Say("Driving or braking pulls up to % along the ramp; its pins or chains take that.", said.Mass(most))
	case plan.HeldLip:
		f.Outcome, f.Tight = finding.Tight, finding.LittleRoom
		f.Says = said.Say("Up to % along the ramp kicks it off a bare lip: pin or strap it to the tail.", said.Mass(most))
	default:
		f.Outcome, f.Says = finding.Unknown, said.Say("Up to % pulls along the ramp. What keeps it on the tail?", said.Mass(most))
		f.Needs = []finding.Need{{Path: "/parts/" + s.RampID + "/ramp/held", Says: said.Say("how the ramp is kept on the tail"), Where: said.Say("Pins, chains or straps; a lip alone slips.")}}
	}
	if s.Ramp.Lip > 0 && s.Ramp.Lip < lipLeast && f.Outcome == finding.Holds {
		f.Outcome, f.Tight = finding.Tight, finding.LittleRoom
		f.Says = append(f.Says, said.Say(" The lip lies on by only %.", said.Length(s.Ramp.Lip))...)
	}
	return f
}

func (s *Setup) width() (finding.Finding, bool) {
	if s.Track <= 0 || s.Rig.Trailer.DeckWidth == nil {
		return finding.Finding{}, false
	}
	f := s.base(CodeWidth, "Between the sides")
	f.Source = norms.Practice("50 mm beside each tyre")
	wide, deck := s.Track+s.Tyre, s.Rig.DeckWidth()
	left := (deck - wide) / 2
	f.Figure, f.Limit = finding.Exactly(quantity.KindLength, left), finding.Exactly(quantity.KindLength, 0.05)
	switch {
	case left < 0:
		f.Outcome, f.Says = finding.Fails, said.Say("Over its tyres it is % wide, the deck %.", said.Length(wide), said.Length(deck))
	case left < 0.05:
		f.Outcome, f.Tight, f.Says = finding.Tight, finding.LittleRoom, said.Say("Only % beside each tyre.", said.Length(left))
	default:
		f.Says = said.Say("% beside each tyre.", said.Length(left))
	}
	if w := float64(s.Ramp.Width); w > 0 && w < s.Tyre+2*0.03 && s.Ramp.Kind != plan.RampFull && s.Ramp.Kind != plan.RampGate {
		f.Outcome = finding.Worse(f.Outcome, finding.Tight)
		f.Says = append(f.Says, said.Say(" Ramps % wide leave little beside a tyre of %.", said.Length(w), said.Length(s.Tyre))...)
	}
	f.Says = append(f.Says, said.Say(" Set the ramps % apart, middle to middle.", said.Length(s.Track))...)
	if left < 0.3 {
		f.Says = append(f.Says, said.Say(" The driver steps off over the front.")...)
	}
	return f, true
}

func (s *Setup) lift() (finding.Finding, bool) {
	part := s.Rig.Plan.Parts[s.RampID]
	if part.Mass == nil || s.Ramp.Kind == plan.RampGate {
		return finding.Finding{}, false
	}
	f := s.base(CodeLift, "Lifting a ramp")
	f.Gate, f.Source = "", norms.Practice("25 kg easy")
	each := float64(part.Mass.Value)
	if s.Ramp.Kind != plan.RampFull {
		each /= 2
	}
	f.Figure, f.Limit = finding.Exactly(quantity.KindMass, each), finding.Exactly(quantity.KindMass, liftEasy)
	f.Says = said.Say("A ramp weighs %.", said.Mass(each))
	if each > liftEasy {
		f.Outcome, f.Tight = finding.Tight, finding.LittleRoom
		f.Says = append(f.Says, said.Say(" Two people, or hinges and a spring.")...)
	}
	return f, true
}

// person is what somebody of 90 kg at the tail does to the trailer unhitched and empty.
func person(r *rig.Rig) (finding.Finding, bool) {
	empty := rig.Resolve(r.Plan, r.Scope.Trailer, "")
	if empty == nil || empty.Bears == nil || r.DeckFront == nil || r.Trailer.DeckLength == nil || r.Layout == nil || r.Layout.Loading == nil {
		return finding.Finding{}, false
	}
	_, tail := r.Deck()
	l := empty.Axle.Nominal
	if tail <= l {
		return finding.Finding{}, false
	}
	left := empty.Bears.Ball.Nominal - personMass*(tail-l)/l
	f := base(r, CodePerson, "Someone at the empty tail")
	f.Gate, f.Source = "", norms.Practice("a person of 90 kg")
	f.Figure, f.Limit = finding.Exactly(quantity.KindMass, left), finding.Exactly(quantity.KindMass, 0.0)
	if left < 0 {
		f.Outcome, f.Tight = finding.Tight, finding.LittleRoom
		f.Says = said.Say("Unhitched and empty it tips up under someone at its tail, % at the {coupling}. Hitch it, or prop the tail, before you step on.", said.Mass(left))
	} else {
		f.Says = said.Say("Empty it stays down with someone at its tail: % at the {coupling}.", said.Mass(left))
	}
	return f, true
}
