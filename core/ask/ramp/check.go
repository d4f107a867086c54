package ramp

import (
	"math"
	"slices"

	"zygonos/core/facts/catalogue"
	"zygonos/core/facts/norms"
	"zygonos/core/lang/finding"
	"zygonos/core/lang/quantity"
	"zygonos/core/lang/said"
	"zygonos/core/plan"
	"zygonos/core/rig"
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
	CodeLever     = "ramp.lever"
	CodeDrum      = "ramp.drum"
	CodeBattery   = "ramp.battery"
	CodePost      = "ramp.post"
	CodeCut       = "ramp.cut"    // own ramps' pieces
	CodeTreads    = "ramp.treads" // … and their treads' strength
	CodeSmall     = "ramp.small-wheels"
	CodeHome      = "ramp.home"
	CodeTravel    = "ramp.travel"
)

// stepsLive is how many even steps the checks take, beside the events.
const stepsLive = 60

// Figures of practice (confidence C).
const (
	shock      = 1.5 // of a wheel that rolls onto a ramp
	reserve    = 1.5 // yield over stress
	timber     = 2.5
	offCentre  = 0.1 // m that a machine is driven off the ramps' middle
	friction   = 0.8 // rubber on a dry ramp
	lipLeast   = 0.06
	liftEasy   = 25.0
	personMass = 90.0
)

// steepest are the angles that practice recommends at most, rad, by what goes up (C).
var steepest = map[string]float64{
	"ride-on": 15, "zero-turn": 15, "motorcycle": 18, "moped": 18, "golf-cart": 15, "car-small": 8,
	"quad": 18, "quad-child": 18, "utv": 18, "utv-four": 18, "motocross": 18, "tractor": 18, "tractor-loader": 18, "excavator": 18,
}

// usualSteepest is that of a kind that is not listed, degrees.
const usualSteepest = 15.0

func stockOf(p plan.Profile) catalogue.Stock {
	s, _ := catalogue.StockOf(p.Material)
	return s.InTheSun()
}

func (s *Setup) base(code, title string) finding.Finding {
	return base(s.Rig, code, title)
}

func base(r *rig.Rig, code, title string) finding.Finding {
	subject := r.LayoutPath("/loading")
	return finding.Finding{
		Code:    code,
		Stage:   Stage,
		Scope:   r.Scope,
		Gate:    finding.GateGo,
		Subject: subject,
		Title:   said.Say(title),
		Outcome: finding.Holds,
	}
}

// unplanned asks how a machine gets on of which nobody has stated.
func unplanned(r *rig.Rig) (f finding.Finding, ok bool) {
	if r.Layout == nil || r.Layout.Loading != nil && r.Layout.Loading.Machine != "" {
		return f, false
	}
	for i := range r.Items {
		it := &r.Items[i]
		if it.Part || it.Shape != "wheels" {
			continue
		}
		f = base(r, CodeSetup, "Getting it on")
		name := said.Name(it.Name, "the machine")
		f.Outcome, f.Says = finding.Unknown, said.Say("How % gets on and off is not known yet.", name)
		f.Needs = []finding.Need{{Path: r.LayoutPath("/loading"), Says: said.Say("how % gets on and off", name),
			Where: said.Say("Say under Ramps who drives or pulls it, and over which ramps.")}}
		return f, true
	}
	return f, false
}

// Check judges how each machine gets on, the one that is stated first, the others over the same ramps; where
// none does, what a person at the tail does to the empty trailer.
func Check(r *rig.Rig) []finding.Finding {
	var out []finding.Finding
	if f, ok := person(r); ok {
		out = append(out, f)
	}
	if f, ok := unplanned(r); ok {
		return append(out, f)
	}
	if f, ok := travels(r); ok {
		out = append(out, f)
	}
	first := getsOn(r)
	out = append(out, first...)
	if r.Layout == nil || r.Layout.Loading == nil {
		return out
	}
	for _, it := range r.Machines() {
		if it.ID != r.Layout.Loading.Machine {
			out = append(out, another(r, it, first)...)
		}
	}
	return out
}

// travels asks where the ramps are on the road, where they are not on the trailer: their weight counts nowhere.
func travels(r *rig.Rig) (finding.Finding, bool) {
	if r.Layout == nil || r.Layout.Loading == nil || r.Layout.Loading.Ramp == "" || r.Layout.Loading.RampInCar {
		return finding.Finding{}, false
	}
	id := r.Layout.Loading.Ramp
	part, ok := r.Plan.Parts[id]
	_, on := r.Layout.Parts[id]
	_, fitted := r.Trailer.Fitted[id]
	if !ok || on || fitted || part.Ramp != nil && part.Ramp.Kind == plan.RampGate {
		return finding.Finding{}, false
	}
	f := base(r, CodeTravel, "Where the ramps travel")
	f.Outcome, f.Tight = finding.Tight, finding.GuessTooRough
	name := said.Name(part.Name, "The ramps")
	f.Says = said.Say("% are not on the trailer: place them, or say that they go in the car and count them as its gear.", name)
	if part.Mass != nil {
		f.Says = said.Say("% of % are not on the trailer: place them, or say that they go in the car and count them as its gear.",
			name, said.Mass(float64(part.Mass.Value)))
	}
	f.Needs = []finding.Need{{
		Path: r.LayoutPath("/loading/rampInCar"), Says: said.Say("where the ramps travel"),
		Where: said.Say("Compare places for them under Ramps; in the car they are gear."),
	}}
	return f, true
}

// Of is a rig on which a machine gets on, in place of the one that is stated and as that one does.
func Of(r *rig.Rig, machine string) *rig.Rig {
	next, layout := *r, *r.Layout
	layout.Loading = rig.LoadingOf(r.Plan, r.Layout.Loading, machine)
	next.Layout = &layout
	return &next
}

// another is what comes out worse with a further machine than with the first, named; or that all holds.
func another(r *rig.Rig, it *rig.Item, first []finding.Finding) (out []finding.Finding) {
	was := map[string]finding.Outcome{}
	for i := range first {
		was[first[i].Code] = first[i].Outcome
	}
	name, worst := said.Name(it.Name, "the machine"), finding.Holds
	for _, f := range getsOn(Of(r, it.ID)) {
		if f.Code == CodeLift || f.Code == CodeCut {
			continue
		}
		worst = finding.Worse(worst, f.Outcome)
		if had, ok := was[f.Code]; f.Outcome == finding.Holds || ok && f.Outcome.Rank() >= had.Rank() {
			continue
		}
		f.Subject, f.Says = it.Path, append(said.Say("%: ", name), f.Says...)
		out = append(out, f)
	}
	if worst == finding.Holds {
		f := base(r, CodeSetup, "Getting it on")
		f.Subject, f.Says = it.Path, said.Say("% gets on as well, over the same ramps.", name)
		out = append(out, f)
	}
	return out
}

// getsOn judges how the machine that is stated gets on.
func getsOn(r *rig.Rig) []finding.Finding {
	s, missing, fails := Prepare(r)
	switch {
	case len(missing) > 0:
		f := base(r, CodeSetup, "Getting it on")
		f.Outcome, f.Needs = finding.Unknown, missing
		f.Says = slices.Concat(said.Say("Not known yet: enter "), finding.Takes(missing), said.Say("."))
		return []finding.Finding{f}
	case fails != nil:
		f := base(r, CodeSetup, "Getting it on")
		f.Outcome, f.Says = finding.Fails, fails
		return []finding.Finding{f}
	case s == nil:
		return nil
	}
	steps := s.Course(stepsLive)
	w := WorstOf(steps)
	out := []finding.Finding{s.angle(steps), s.clearance(&steps[w.Clearance]), s.tip(&steps[w.Ball])}
	for _, check := range []func() (finding.Finding, bool){
		func() (finding.Finding, bool) { return s.car(&steps[w.Ball]) },
		func() (finding.Finding, bool) { return s.props(steps, w.Prop) },
		func() (finding.Finding, bool) { return s.strength(steps, w.Bending) },
		func() (finding.Finding, bool) { return s.treads(steps) },
		s.rating, s.width, s.small, s.home, s.lift, s.cut} {
		if f, ok := check(); ok {
			out = append(out, f)
		}
	}
	if s.Tilts {
		out = append(out, s.bed(steps))
	} else {
		out = append(out, s.hold(steps))
	}
	return s.smaller(append(out, s.winch(steps)...))
}

// steepest is the usual steepest angle for the machine, rad.
func (s *Setup) steepest() float64 {
	most := usualSteepest
	if s.Item.Load != nil && steepest[s.Item.Load.Kind] > 0 {
		most = steepest[s.Item.Load.Kind]
	}
	return most * math.Pi / 180
}

// Wanted is the least ramp of that angle θ from the tail to the ground, which falls by φ and
// lies a kerb lower, m: with h the tail over the ground under it
//
//	l = h/(sin θ − tan φ·cos θ)
//
// rounded up to 10 mm, so that it keeps the angle. It holds too where the ramps there are do
// not reach; 0 where the ground falls away as steeply.
func (s *Setup) Wanted() float64 {
	_, tail := s.Rig.Deck()
	h := math.Max(0, s.deck(tail)+float64(s.Loading.Kerb))
	den := math.Sin(s.steepest()) - math.Tan(s.Loading.Fall)*math.Cos(s.steepest())
	if den <= 0.01 {
		return 0
	}
	return math.Ceil(h/den*100-1e-9) / 100
}

func (s *Setup) angle(steps []Step) finding.Finding {
	f := s.base(CodeAngle, "Ramp's angle")
	limit := s.steepest()
	f.Source = norms.Practice("usual steepest angle by kind of machine")
	f.Figure, f.Limit = finding.Exactly(quantity.KindAngle, s.Angle), finding.Exactly(quantity.KindAngle, limit)
	margin := (limit - s.Angle) / limit
	f.Margin = &margin
	h := s.Top.Z - s.Foot.Z
	f.Says = said.Say(
		"Ramps of % rise % at %.",
		said.Length(s.Ramp.Length),
		said.Length(h),
		said.Of(quantity.KindAngle, s.Angle),
	)
	if s.Angle > limit*(1+1e-9) {
		f.Outcome, f.Tight = finding.Tight, finding.LittleRoom
		switch l := s.Wanted(); {
		case s.Tilts:
			f.Says = append(
				f.Says,
				said.Say(
					" The usual limit is %: use a longer bed, or ramps in front of it.",
					said.Of(quantity.KindAngle, limit),
				)...)
		case l > 0:
			f.Says = append(
				f.Says,
				said.Say(" For % they would be % long.", said.Of(quantity.KindAngle, limit), said.Length(l))...)
		default:
			f.Says = append(
				f.Says,
				said.Say(
					" The ground falls away too steeply for %: load elsewhere.",
					said.Of(quantity.KindAngle, limit),
				)...)
		}
	}
	if sinks := s.sinks(steps); sinks > 0.005 {
		f.Says = append(
			f.Says,
			said.Say(" The springs let the tail down by % as it comes on.", said.Length(sinks))...)
	}
	if l := float64(s.Ramp.Length); 2*min(s.Body.FrontR, s.Body.RearR) > l {
		f.Outcome, f.Tight = finding.Worse(f.Outcome, finding.Tight), finding.LittleRoom
		f.Says = append(
			f.Says,
			said.Say(
				" Its wheels are larger than the ramps are long: it jumps from ground to deck. Use longer ramps.",
			)...)
	}
	f.HasWork, f.Work = true, func() []finding.Step {
		return []finding.Step{
			{
				Symbol:  "θ",
				Says:    said.Say("ramp to level"),
				Formula: "θ = asin(h/l)",
				Result:  f.Figure,
				Source:  f.Source,
				Terms: []finding.StepTerm{
					{
						Symbol:  "h",
						Says:    said.Say("tail over the ramp's foot, empty and unsunk"),
						Measure: finding.Exactly(quantity.KindLength, h),
						How:     "computed",
					},
					{
						Symbol:  "l",
						Says:    said.Say("ramp"),
						Measure: finding.Exactly(quantity.KindLength, s.Ramp.Length),
						How:     "stated",
						Path:    "/parts/" + s.RampID + "/ramp/length",
					}},
			},
		}
	}
	return f
}

// clearance judges what is left under the machine, an end whose height nobody stated as low as the belly. Where too little
// is left so, the rest is judged, and the end's height asked for if it takes more.
func (s *Setup) clearance(at *Step) finding.Finding {
	told := s.Told()
	if told == s || at.Clearance >= clearLeast {
		return s.under(at)
	}
	steps := told.Course(stepsLive)
	rest := &steps[WorstOf(steps).Clearance]
	f := told.under(rest)
	ends := s.lowEnds(at, rest)
	if len(ends) == 0 {
		return f
	}
	f.Outcome, f.Tight = finding.Worse(f.Outcome, finding.Tight), finding.GuessTooRough
	what := "what hangs in front of and behind its wheels"
	if len(ends) == 1 {
		what = ends[0].hangs
	}
	for _, end := range ends {
		f.Needs = append(f.Needs, end.Need)
	}
	how := " If % is as low as its belly, it strikes by %: tape its height."
	if at.Clearance >= 0 {
		how = " If % is as low as its belly, only % is left: tape its height."
	}
	f.Says = slices.Concat(f.Says, said.Say(how, said.Piece{Text: what}, said.Length(math.Abs(at.Clearance))))
	return f
}

// under judges what is left under the machine at a step.
func (s *Setup) under(at *Step) finding.Finding {
	f := s.base(CodeClear, "Under the belly")
	f.Source = norms.Practice("30 mm left")
	margin := (at.Clearance - clearLeast) / clearLeast
	f.Figure, f.Limit, f.Margin = finding.Exactly(
		quantity.KindLength,
		at.Clearance,
	), finding.Exactly(
		quantity.KindLength,
		clearLeast,
	), &margin
	place := said.Say("with its front wheels on the ground")
	switch u := at.Pose.Front.At.U; {
	case u > s.Top.U:
		place = said.Say("with its front wheels % on the deck", said.Length(u-s.Top.U))
	case u > s.Foot.U:
		place = said.Say(
			"with its front wheels % up the ramp",
			said.Length(math.Hypot(u-s.Foot.U, at.Pose.Front.At.Z-s.Foot.Z)),
		)
	}
	switch {
	case at.Clearance < clearLeast:
		if f.Outcome = finding.Fails; at.Clearance >= 0 {
			f.Outcome, f.Tight = finding.Tight, finding.LittleRoom
			f.Says = append(said.Say("Only % is left under it, ", said.Length(at.Clearance)), place...)
		} else {
			f.Says = append(said.Say("It grounds by %, ", said.Length(-at.Clearance)), place...)
		}
		l, up := s.Shortest(clearLeast), s.LeastRaise(clearLeast)
		switch {
		case l > 0 && up > 0:
			f.Says = append(
				f.Says,
				said.Say(
					". Ramps of % clear, or raise the {coupling} by %: "+s.raises()+".",
					said.Length(l),
					said.Length(up),
				)...)
		case l > 0:
			f.Says = append(f.Says, said.Say(". Ramps of % clear.", said.Length(l))...)
		case up > 0:
			f.Says = append(
				f.Says,
				said.Say(". Raising the {coupling} by % clears: "+s.raises()+".", said.Length(up))...)
		default:
			f.Says = append(
				f.Says,
				said.Say(
					". Neither longer ramps nor a raised {coupling} clear it: lay planks under its wheels over the crest.",
				)...)
		}
		if k, _ := catalogue.LoadOf(s.Item.Load.Kind); k.Rises != "" {
			f.Says = append(f.Says, said.Say(" Set its % as high as it goes and tape what is left under it.",
				said.Piece{Text: k.Rises})...)
		}
	default:
		f.Says = append(
			append(said.Say("At least % is left under it, ", said.Length(at.Clearance)), place...),
			said.Piece{Text: "."},
		)
	}
	usual(&f, s.Rough)
	return f
}

// lowEnds are the fewest ends of unstated height that take what the rest would leave; none where it leaves no more.
func (s *Setup) lowEnds(at, rest *Step) (ends []*overhang) {
	if rest.Clearance <= at.Clearance {
		return nil
	}
	for k, end := range s.untold {
		if end == nil {
			continue
		}
		if s.freed(k).leastClearance(stepsLive) > rest.Clearance-1e-3 {
			return []*overhang{end}
		}
		ends = append(ends, end)
	}
	return ends
}

// Told is the drive as far as it is stated: without the ends of the machine of which nobody stated the height.
func (s *Setup) Told() *Setup {
	var ends []int
	for k, end := range s.untold {
		if end != nil {
			ends = append(ends, k)
		}
	}
	if len(ends) == 0 {
		return s
	}
	return s.freed(ends...)
}

// freed is the drive with ends of the machine out of the way.
func (s *Setup) freed(ends ...int) *Setup {
	t := *s
	for _, k := range ends {
		*[2]*float64{&t.Body.Nose, &t.Body.Tail}[k] = math.Inf(1)
		t.untold[k] = nil
	}
	return &t
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
		return []finding.Step{
			{
				Symbol:  "R",
				Says:    said.Say("least at the {coupling}"),
				Formula: "R·L = R₀·L + Σ (L − x)·V + Σ (z − z₀)·A",
				Result:  f.Figure,
				Source:  f.Source,
				Terms: []finding.StepTerm{
					{
						Symbol:  "R₀",
						Says:    said.Say("without the machine, ramps hung at the tail"),
						Measure: finding.Exactly(quantity.KindMass, s.Bare),
						How:     "computed",
					},
					{
						Symbol:  "L",
						Says:    said.Say("{coupling} to axle"),
						Measure: finding.Exactly(quantity.KindLength, s.Axle),
						How:     "stated",
						Path:    s.Rig.AxlePath,
					}},
			},
		}
	}
	propped := s.Loading.Props != nil && !at.Tips
	switch {
	case at.Ball < 0 && at.Tips && s.Loading.Props != nil:
		f.Outcome = finding.Fails
		f.Says = said.Say(
			"Unhitched it tips back over its props: the {coupling} is % too light as % comes on. Hitch it, or set the props at the tail.",
			said.Mass(-at.Ball),
			name,
		)
	case s.Loading.Unhitched && at.Ball < 0 && !propped:
		f.Outcome = finding.Fails
		f.Says = said.Say(
			"Unhitched it tips: the {coupling} is % too light as % comes on. Hitch it, or prop the tail.",
			said.Mass(-at.Ball),
			name,
		)
	case s.Loading.Unhitched && at.Ball < 0:
		f.Outcome, f.Tight = finding.Tight, finding.LittleRoom
		f.Says = said.Say(
			"Unhitched it leans on its props: the {coupling} is % too light. Hitch it if you can.",
			said.Mass(-at.Ball),
		)
	case s.Loading.Unhitched && at.Ball < jockeyLeast:
		f.Outcome, f.Tight = finding.Tight, finding.LittleRoom
		f.Says = said.Say("Only % stays on the {jockey wheel}. Hitch it first.", said.Mass(at.Ball))
	case at.Ball < 0:
		f.Outcome, f.Tight = finding.Tight, finding.LittleRoom
		f.Says = said.Say(
			"It lifts the car by % as it comes on: handbrake on, in gear, {coupling} latched. Props take that load.",
			said.Mass(-at.Ball),
		)
	default:
		f.Says = said.Say("At least % stays on the {coupling} on the way.", said.Mass(at.Ball))
	}
	return f
}

func (s *Setup) car(at *Step) (finding.Finding, bool) {
	r := s.Rig
	if s.Loading.Unhitched || r.Vehicle == nil || at.Ball >= 0 {
		return finding.Finding{}, false
	}
	f := s.base(CodeCar, "Car's rear axle")
	rear, needs := r.CarRearLoading(&quantity.Range[float64]{Nominal: at.Ball, Low: at.Ball, High: at.Ball})
	if rear == nil {
		f.Outcome, f.Needs, f.Says = finding.Unknown, needs, said.Say(
			"How much stays on the car's rear wheels is not known.",
		)
		return f, true
	}
	lifts := -at.Ball * rig.Lever(float64(r.Vehicle.Wheelbase.Value), float64(r.Vehicle.RearOverhang.Value))
	f.Figure = finding.Exactly(quantity.KindMass, rear.Nominal)
	f.Says = said.Say("% comes off the car's rear axle, % stays.", said.Mass(lifts), said.Mass(rear.Nominal))
	if rear.Nominal < 0 {
		f.Outcome = finding.Fails
		f.Says = said.Say(
			"% would come off the car's rear axle, which carries %: its rear wheels lift. Set props under the tail, or load less far back.",
			said.Mass(lifts),
			said.Mass(rear.Nominal+lifts),
		)
		return f, true
	}
	if rear.Nominal < 0.7*(rear.Nominal+lifts) {
		f.Outcome, f.Tight = finding.Tight, finding.LittleRoom
		f.Says = append(f.Says, said.Say(" A parking brake on the rear wheels holds less then: chock the car.")...)
	}
	return f, true
}

func (s *Setup) props(steps []Step, at int) (finding.Finding, bool) {
	p := s.Loading.Props
	if p == nil {
		return finding.Finding{}, false
	}
	f := s.base(CodeProps, "Rear props")
	if s.Springs <= 0 && !s.Loading.Unhitched {
		path := "/trailers/" + s.Rig.Scope.Trailer
		if t := s.Rig.Trailer; t.Sinks == nil || *t.Sinks <= 0 {
			f.Needs = []finding.Need{
				{
					Path:  path + "/sinks",
					Says:  said.Say("how far the springs sink at their rating"),
					Where: said.Say("Tape a wheel's height empty and loaded."),
				},
			}
		} else {
			f.Needs = []finding.Need{{Path: path + "/axleRating", Says: said.Say("what the axle may carry"), Where: said.Say("It is on the axle's plate, or on the springs'.")}}
		}
		f.Outcome, f.Says = finding.Unknown, slices.Concat(
			said.Say("What the props carry is not known: enter "),
			finding.Takes(f.Needs),
			said.Say("."),
		)
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
	f.Says = said.Say(
		"Set with a gap of %, the props carry up to %, both together; % keeps it from tipping. Put plates under them.",
		said.Length(p.Gap),
		said.Mass(steps[at].Prop),
		said.Mass(least),
	)
	switch {
	case x <= s.Axle:
		f.Outcome, f.Says = finding.Fails, said.Say("Props in front of the axle hold nothing: put them at the tail.")
	case slices.ContainsFunc(steps, func(st Step) bool { return st.Tips }):
		f.Outcome = finding.Fails
		f.Says = said.Say(
			"The props stand only % behind the axle: the whole trailer tips back over them. Put them at the tail.",
			said.Length(x-s.Axle),
		)
	}
	return f, true
}

// bed is where a tilted bed comes down, and that it must be held.
func (s *Setup) bed(steps []Step) finding.Finding {
	f := s.base(CodeBed, "Tilting bed")
	f.Source = norms.Practice("it drops when nothing is left on its tail")
	at, ok := s.Drops(steps)
	switch pull := s.Hand(&steps[len(steps)-1]); {
	case ok:
		f.Figure = finding.Exactly(quantity.KindLength, at)
		f.Says = said.Say(
			"The bed drops level when the front wheels are % from the {headboard}. Use a damper or a slow hand; latch and pin it before you move.",
			said.Length(at),
		)
	case pull > 0:
		f.Outcome, f.Tight = finding.Tight, finding.LittleRoom
		f.Figure = finding.Exactly(quantity.KindMass, pull)
		f.Says = said.Say(
			"Once home, the machine leaves % to pull down at the {headboard}, apart from the bed's own weight; then latch it.",
			said.Mass(pull),
		)
	default:
		f.Outcome, f.Tight = finding.Tight, finding.LittleRoom
		f.Says = said.Say(
			"The bed does not come down on its own before the machine is home: pull it down, then latch it.",
		)
	}
	if slices.ContainsFunc(steps, func(st Step) bool { return st.Loose }) {
		f.Outcome, f.Tight = finding.Tight, finding.LittleRoom
		f.Says = append(
			f.Says,
			said.Say(
				" Its front wheels pass the pivot while the rear ones are still on the ground: pin the bed's tail down until they are on.",
			)...)
	}
	return f
}

// rating holds a bought ramp's number against the machine, as what it counts says.
// Where that is not stated all readings are tried.
func (s *Setup) rating() (finding.Finding, bool) {
	ramp, path := s.Ramp, "/parts/"+s.RampID+"/ramp"
	if ramp.Rating == nil {
		if s.Tilts || ramp.Profile != nil {
			return finding.Finding{}, false
		}
		f := s.base(CodeRating, "Ramp's rating")
		f.Outcome, f.Says = finding.Unknown, said.Say("What can the ramps take? Look for their plate.")
		if ramp.Kind == plan.RampGate {
			f.Says = said.Say(
				"A tailgate is seldom rated as a ramp: hinges and latch give way first. Look for its plate.",
			)
		}
		f.Needs = []finding.Need{
			{
				Path:  path + "/rating",
				Says:  said.Say("the ramps' rating"),
				Where: said.Say("On the ramp: is it for the pair or for each, for an axle or the vehicle?"),
			},
		}
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
			switch {
			case !s.paired():
			case s.Track == 0 && per == plan.PerPair: // all of it on one, which bears half of the number
				on *= 2
			case s.Track > 0 && per == plan.PerEach:
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
		f.Outcome, f.Says = finding.Fails, said.Say(
			"Either way, % on ramps rated %.",
			said.Mass(best),
			said.Mass(limit),
		)
	case worst > limit:
		f.Outcome, f.Says = finding.Unknown, said.Say(
			"% or % on ramps rated %: is that for one or the pair, for an axle or the vehicle?",
			said.Mass(best),
			said.Mass(worst),
			said.Mass(limit),
		)
		f.Needs = []finding.Need{
			{
				Path:  path + "/counts",
				Says:  said.Say("what the ramps' rating counts"),
				Where: said.Say("Ask the seller; it is seldom printed."),
			},
		}
	case margin < 0.1:
		f.Outcome, f.Tight, f.Says = finding.Tight, finding.LittleRoom, said.Say(
			"% on ramps rated %.",
			said.Mass(worst),
			said.Mass(limit),
		)
	default:
		f.Says = said.Say("% on ramps rated %.", said.Mass(worst), said.Mass(limit))
	}
	if s.paired() && s.Track == 0 {
		f.Says = append(f.Says, said.Say(" With its wheels in line it uses only one ramp, half of the pair.")...)
	}
	return f, true
}

// hold is what kicks the ramp off the tail: at most μ·N of what stands on it, driven or
// braked.
func (s *Setup) hold(steps []Step) finding.Finding {
	f := s.base(CodeHold, "Ramp kept on the tail")
	f.Source = norms.Practice("rubber on a dry ramp grips 0.8; lip of 60 mm")
	most := 0.0
	for i := range steps {
		on := 0.0
		for _, p := range []Push{steps[i].Wheels.Front, steps[i].Wheels.Rear} {
			if p.At.U > s.Foot.U && p.At.U < s.Top.U {
				on += p.Down*math.Cos(s.Angle) + p.Ahead*math.Sin(s.Angle)
			}
		}
		most = max(most, friction*on)
	}
	f.Figure = finding.Exactly(quantity.KindMass, most)
	switch s.Ramp.Held {
	case plan.HeldPins, plan.HeldChains:
		f.Says = said.Say(
			"Driving or braking pulls with up to % along the ramp; its pins or chains take that.",
			said.Mass(most),
		)
	case plan.HeldStrip:
		f.Says = said.Say("Up to % pulls along the ramp; its tongues behind the strip take that.", said.Mass(most))
		if s.Ramp.Lip <= 0 {
			f.Outcome, f.Says = finding.Unknown, said.Say(
				"Up to % pulls along the ramp. How far do its tongues reach behind the strip?",
				said.Mass(most),
			)
			f.Needs = []finding.Need{
				{
					Path:  "/parts/" + s.RampID + "/ramp/lip",
					Says:  said.Say("how far the tongues reach behind the strip"),
					Where: said.Say("Tape a tongue, less its play."),
				},
			}
		}
		f.Says = append(
			f.Says,
			said.Say(" A strip bent by a knock when reversing lets them out: try both ramps first. Holes in it drain.")...)
	case plan.HeldLip:
		f.Outcome, f.Tight = finding.Tight, finding.LittleRoom
		f.Says = said.Say(
			"Up to % along the ramp kicks it off a bare lip: pin or strap it to the tail.",
			said.Mass(most),
		)
	default:
		f.Outcome, f.Says = finding.Unknown, said.Say(
			"Up to % pulls along the ramp. What keeps it on the tail?",
			said.Mass(most),
		)
		f.Needs = []finding.Need{
			{
				Path:  "/parts/" + s.RampID + "/ramp/held",
				Says:  said.Say("how the ramp is kept on the tail"),
				Where: said.Say("Pins, chains or straps; a lip alone slips."),
			},
		}
	}
	if on := float64(s.Ramp.Lip - s.Ramp.Play); s.Ramp.Lip > 0 && on < lipLeast && f.Outcome != finding.Unknown {
		f.Outcome, f.Tight = finding.Tight, finding.LittleRoom
		f.Says = append(f.Says, said.Say(" It overlaps by only %, with the play taken off.", said.Length(max(0, on)))...)
	}
	return f
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
		f.Says = append(f.Says, said.Say(" Use two people, or hinges and a spring.")...)
	}
	return f, true
}

// person is what somebody of 90 kg at the tail does to the trailer unhitched and empty.
func person(r *rig.Rig) (finding.Finding, bool) {
	empty := rig.Resolve(r.Plan, r.Scope.Trailer, "")
	if empty == nil || empty.Bears == nil || r.DeckFront == nil || r.Trailer.DeckLength == nil || r.Layout == nil ||
		r.Layout.Loading == nil {
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
		f.Says = said.Say(
			"Unhitched and empty it tips up under someone at its tail, with % at the {coupling}. Hitch it, or prop the tail, before you step on.",
			said.Mass(left),
		)
	} else {
		f.Says = said.Say("Empty, it stays down with someone at its tail: % at the {coupling}.", said.Mass(left))
	}
	return f, true
}
