package ramp

import (
	"math"
	"slices"

	"zygonos/core/finding"
	"zygonos/core/norms"
	"zygonos/core/parts"
	"zygonos/core/plan"
	"zygonos/core/quantity"
	"zygonos/core/said"
	"zygonos/core/section"
)

// Rolling resistances of a winched machine, shares of its weight (confidence C).
var rolling = map[plan.WheelState]float64{"": 0.04, plan.RollsHard: 0.04, plan.RollsFlat: 0.15, plan.RollsSoft: 0.25, plan.RollsLocked: 0.8}

// Figures of practice (confidence C).
const (
	fromRest    = 1.15  // start from rest over rolling on
	blockLoses  = 0.1   // of the pull, in a snatch block
	handPush    = 200.0 // N on a crank
	reserveLine = 1.25  // rated pull over what is needed
	usualDraw   = 0.13  // A at rated pull for each kg of it, an electric winch on 12 V
	usualIdle   = 20.0  // A without load
	usualSpeed  = 0.03  // m/s of its line
)

// Bump is the level pull at axle height that takes a wheel of radius r with its axle's
// load W over a step h: W·√(2rh − h²)/(r − h). ok is false for a step as high as the axle.
func Bump(weight, r, h float64) (pull float64, ok bool) {
	switch {
	case h <= 0:
		return 0, true
	case h >= r:
		return 0, false
	}
	return weight * math.Sqrt(2*r*h-h*h) / (r - h), true
}

// OnLayer is what a winch pulls with its line on layer n (1 the first), from what it
// pulls on the first: P·(D + d)/(D + (2n − 1)·d), bare drum D, line d.
func OnLayer(pull, drum, line float64, n int) float64 {
	if n <= 1 || drum <= 0 {
		return pull
	}
	return pull * (drum + line) / (drum + float64(2*n-1)*line)
}

// Handle is the push on a crank, N, for a line's pull F (N) off a drum of radius ρ:
// F·ρ/(i·c).
func Handle(force, radius, ratio, crank float64) float64 { return force * radius / (ratio * crank) }

// Current is what an electric winch draws at a pull, a straight line from idle to rated.
func Current(idle, full, pull, rated float64) float64 { return idle + (full-idle)*pull/rated }

// line is that of a winched machine where it stands: its wheels roll as they are told to, and
// where one comes against the step at a ramp's end that holds it back too.
func (s *Setup) line(q Pose) Line {
	if s.Way != ByLine {
		return Line{}
	}
	var wheels plan.WheelState
	if w := s.Loading.Winch; w != nil {
		wheels = w.Wheels
	}
	rolls := func(c Contact, r float64) Resistance {
		return Resistance{Rolls: rolling[wheels], Bump: s.bumpAt(c.Centre, r), Locked: wheels == plan.RollsLocked}
	}
	return Line{Hook: s.Hook(q), Winch: s.Winch, Front: rolls(q.Front, s.Body.FrontR), Rear: rolls(q.Rear, s.Body.RearR)}
}

// bumpNear is how far before the step its bump counts already, m, so that no drive steps
// over it.
const bumpNear = 0.05

// bumpAt is the bump of a wheel at c as a share of what presses it, nought where it is at
// no step: √(2rh − h²) before the ramp's foot or hinge it touches it.
func (s *Setup) bumpAt(c Point, r float64) float64 {
	h := s.step()
	share, climbs := Bump(1, r, h)
	if !climbs {
		return 0
	}
	touches := math.Sqrt(2*r*h-h*h) + bumpNear
	for k, edge := range []Point{s.Foot, s.Top} {
		if before := edge.U - c.U; before > 0 && before <= touches && !(k == 1 && s.Tilts) {
			return share
		}
	}
	return 0
}

// Pull is what the winch's line bears at a step of the drive when it starts from rest there,
// kg; with a block half of it and the block's loss.
func (s *Setup) Pull(st *Step) float64 {
	pull := fromRest * math.Max(0, st.Wheels.Line)
	if w := s.Loading.Winch; w != nil && w.Block {
		pull /= 2 * (1 - blockLoses)
	}
	return pull
}

// Needed is the most that the line bears on the way, kg, and at which step; climbs is false
// where the wheels are too small for the step at the ramp's ends.
func (s *Setup) Needed(steps []Step) (most float64, at int, climbs bool) {
	at = WorstOf(steps).Line
	_, climbs = Bump(1, math.Min(s.Body.FrontR, s.Body.RearR), s.step())
	return s.Pull(&steps[at]), at, climbs
}

// onLayerTold is what the winch pulls with its line on the layer that is told, kg.
func onLayerTold(w *plan.Winch) float64 {
	return OnLayer(float64(*w.Pull), float64(w.Drum), float64(w.Line), max(1, w.Layer))
}

// hingeStep is the usual step at a ramp's end, m (C).
const hingeStep = 0.02

// step is that of the ramp, as told or usual, m.
func (s *Setup) step() float64 {
	if s.Ramp.Step != nil {
		return float64(*s.Ramp.Step)
	}
	return hingeStep
}

// fleetMost is how far aside a line may run onto its drum before it climbs over itself,
// and a strap creeps to one side, rad (C).
const fleetMost = 2 * math.Pi / 180

// Fleet is how far a line runs aside of square to its drum, rad: atan(a/l).
func Fleet(aside, length float64) float64 { return math.Atan2(math.Abs(aside), length) }

// mount judges how the winch stands: the line's lead, bolts of its post, pin of its
// receiver, under what its line pulls it with.
func (s *Setup) mount(pull float64) []finding.Finding {
	w := s.Loading.Winch
	var out []finding.Finding
	if w.Aside != 0 {
		f := s.base(CodeFleet, "Line onto the drum")
		f.Source = norms.Practice("2° beside square at the shortest")
		// Worst where the line is shortest: when the machine is home.
		body := s.riding()
		q := body.Stand(s.Path, s.Home, 0)
		hook := s.Hook(q)
		angle := Fleet(float64(w.Aside), math.Hypot(s.Winch.U-hook.U, s.Winch.Z-hook.Z))
		f.Figure, f.Limit = finding.Exactly(quantity.KindAngle, angle), finding.Exactly(quantity.KindAngle, fleetMost)
		f.Says = said.Say("At home the line runs % aside onto the drum.", said.Of(quantity.KindAngle, angle))
		if angle > fleetMost {
			f.Outcome, f.Tight = finding.Tight, finding.LittleRoom
			f.Says = append(f.Says, said.Say(" It creeps to one side: drum in the middle, or a guide.")...)
		}
		out = append(out, f)
	}
	grade, known := norms.BoltOf(w.Grade)
	bolt := func(code, title string, on, limit float64, says string) {
		f := s.base(code, title)
		f.Source = &norms.BoltSource
		margin := (limit - on) / limit
		f.Figure, f.Limit, f.Margin = finding.Exactly(quantity.KindForce, on), finding.Exactly(quantity.KindForce, limit), &margin
		f.Says = said.Say(says, said.Of(quantity.KindForce, on), said.Of(quantity.KindForce, limit))
		switch {
		case on > limit:
			f.Outcome = finding.Fails
		case !known:
			f.Outcome, f.Tight = finding.Tight, finding.GuessTooRough
			f.Says = append(f.Says, said.Say(" Grade not told: the weakest is taken.")...)
		}
		out = append(out, f)
	}
	if w.Bolts >= 2 && w.Bolt > 0 && w.Gauge > 0 {
		// A brace at 45° stands as far before the foot as it meets the post high: the foot is
		// drawn or pushed by P·h/b, on all its bolts.
		moment := pull * quantity.Gravity * math.Max(0, float64(w.Up))
		each := moment / (math.Floor(float64(w.Bolts)/2) * float64(w.Gauge))
		if w.Brace > 0 {
			each = moment / float64(w.Brace) / float64(w.Bolts)
		}
		bolt(CodePostBolts, "Winch post's bolts", each, grade.TensionOf(float64(w.Bolt)), "Each bolt at the post's foot pulls % of %.")
	}
	if w.Pin > 0 {
		bolt(CodePin, "Receiver's pin", pull*quantity.Gravity, 2*grade.ShearOf(float64(w.Pin)), "The pin shears at two planes: % of %. Wedge it against rattling; room for the hand to the jack.")
	}
	return out
}

func (s *Setup) winch(steps []Step) []finding.Finding {
	w := s.Loading.Winch
	if w == nil || s.Way != ByLine {
		return nil
	}
	path := s.Rig.LayoutPath("/loading/winch")
	most, at, climbs := s.Needed(steps)
	f := s.base(CodeWinch, "Winch")
	f.Source = norms.Practice("start from rest 1.15, block loses a tenth, a quarter in reserve")
	f.Figure = finding.Exactly(quantity.KindMass, most)
	if !climbs {
		f.Outcome, f.Says = finding.Fails, said.Say("Its wheels are too small for the step at the ramp: fill it.")
		return []finding.Finding{f}
	}
	if i := slices.IndexFunc(steps, func(st Step) bool { return st.Lifts }); i >= 0 {
		f.Outcome, f.Says = finding.Fails, said.Say("The line lifts an axle before it comes on: fill the step, let its wheels turn, lead the line lower.")
		return []finding.Finding{f}
	}
	f.HasWork, f.Work = true, func() []finding.Step {
		l := s.line(steps[at].Pose)
		share := func(v float64) *finding.Measure { return finding.Exactly(quantity.KindShare, v) }
		formula := "P = 1.15·(balance of W, both wheels' forces leaning back by α, and the line)"
		if w.Block {
			formula += "/1.8"
		}
		return []finding.Step{
			{Symbol: "b", Says: said.Say("a step of % before a wheel", said.Length(s.step())), Formula: "b = √(2rh − h²)/(r − h)", Result: share(math.Max(l.Front.Bump, l.Rear.Bump))},
			{Symbol: "α", Says: said.Say("how far a wheel's force leans back there"), Formula: "α = atan b + atan c", Result: finding.Exactly(quantity.KindAngle, math.Max(l.Front.leans(), l.Rear.leans())), Terms: []finding.StepTerm{
				{Symbol: "c", Says: said.Say("rolling resistance"), Measure: share(l.Front.Rolls), How: "rule followed"}}},
			{Symbol: "P", Says: said.Say("at its worst place, from rest"), Formula: formula, Result: f.Figure, Source: f.Source, Terms: []finding.StepTerm{
				{Symbol: "W", Says: said.Say("the machine"), Measure: finding.Exactly(quantity.KindMass, s.Mass), How: "computed"},
				{Symbol: "θ", Says: said.Say("the ramp"), Measure: finding.Exactly(quantity.KindAngle, s.Angle), How: "computed"}}}}
	}
	takes := said.Say("It takes % on the line", said.Mass(most))
	if l := s.line(steps[at].Pose); l.Front.Bump > 0 || l.Rear.Bump > 0 {
		takes = append(takes, said.Say(", over a step of %", said.Length(s.step()))...)
	}
	if w.Pull == nil {
		f.Outcome, f.Says = finding.Unknown, append(takes, said.Say(". What does the winch pull?")...)
		f.Needs = []finding.Need{{Path: path + "/pull", Says: said.Say("the winch's rated pull"), Where: said.Say("On its plate, for the first layer on the drum.")}}
		return []finding.Finding{f}
	}
	has := onLayerTold(w)
	f.Limit = finding.Exactly(quantity.KindMass, has)
	margin := (has - most) / has
	f.Margin = &margin
	f.Says = append(takes, said.Say("; the winch pulls %.", said.Mass(has))...)
	switch {
	case most > has:
		f.Outcome = finding.Fails
		f.Says = append(f.Says, said.Say(" Fill the step, put a block at the machine, or take longer ramps.")...)
	case most*reserveLine > has:
		f.Outcome, f.Tight = finding.Tight, finding.LittleRoom
	}
	out := []finding.Finding{f}
	both := most // what a block's shackle bears, and what both of its line's ends hang on
	if w.Block {
		both = 2 * most
	}
	var weak *quantity.Mass
	name, on := "", 0.0
	for _, l := range []struct {
		max  *quantity.Mass
		name string
		on   float64
	}{{w.LineMax, "line", most}, {w.HookMax, "hook", most}, {w.TieMax, "shackle", both}} {
		if l.max != nil && (weak == nil || float64(*weak)*l.on > float64(*l.max)*on) {
			weak, name, on = l.max, l.name, l.on
		}
	}
	g := s.base(CodeLine, "Line, hook, shackle")
	if weak == nil {
		g.Figure = finding.Exactly(quantity.KindMass, most)
		g.Outcome, g.Says = finding.Unknown, said.Say("What do line, hook and shackle take? It pulls %.", said.Mass(most))
		g.Needs = []finding.Need{{Path: path + "/lineMax", Says: said.Say("the line's working load limit"), Where: said.Say("On its tag.")}}
	} else {
		g.Figure, g.Limit = finding.Exactly(quantity.KindMass, on), finding.Exactly(quantity.KindMass, float64(*weak))
		g.Says = said.Say("The % is the weakest: % of %.", said.Piece{Text: name}, said.Mass(on), said.Mass(float64(*weak)))
		if on > float64(*weak) {
			g.Outcome = finding.Fails
		}
	}
	g.Says = append(g.Says, said.Say(" Stand clear of the line, a damper on it.")...)
	out = append(out, g)
	if w.Ratio > 0 && w.Crank > 0 && w.Drum > 0 {
		h := s.base(CodeCrank, "Hand on the crank")
		push := Handle(most*quantity.Gravity, (float64(w.Drum)+float64(2*max(1, w.Layer)-1)*float64(w.Line))/2, w.Ratio, float64(w.Crank))
		h.Source = norms.Practice("200 N on a crank")
		h.Figure, h.Limit = finding.Exactly(quantity.KindForce, push), finding.Exactly(quantity.KindForce, handPush)
		h.Says = said.Say("The crank takes %.", said.Of(quantity.KindForce, push))
		if push > handPush {
			h.Outcome, h.Tight = finding.Tight, finding.LittleRoom
			h.Says = append(h.Says, said.Say(" Heavy: a block, or a slower gear.")...)
		}
		out = append(out, h)
	}
	if w.Battery != nil {
		out = append(out, s.battery(most))
	}
	if w.Post != nil {
		out = append(out, s.post(both))
	}
	return append(out, s.mount(both)...)
}

// battery is how often an electric winch pulls the machine on: I·t of half the
// battery, t the way over the line's speed. What is not told of the winch is usual.
func (s *Setup) battery(pull float64) finding.Finding {
	w := s.Loading.Winch
	f := s.base(CodeBattery, "Winch's battery")
	f.Source = norms.Practice("half of a lead battery's A·h; 0.13 A a kg of rated pull, 20 A without load, 30 mm/s where not told")
	rated := float64(*w.Pull)
	full, idle, speed := usualDraw*rated, usualIdle, usualSpeed
	told := w.Amps != nil && w.Speed != nil && *w.Speed > 0
	if w.Amps != nil {
		full, idle = *w.Amps, min(idle, *w.Amps)
	}
	if w.Idle != nil {
		idle = *w.Idle
	}
	if w.Speed != nil && *w.Speed > 0 {
		speed = float64(*w.Speed)
	}
	amps := Current(idle, full, pull, rated)
	way := s.Home - s.Start
	if w.Block {
		way *= 2
	}
	used := amps * way / speed / 3600
	if !(used > 0) {
		f.Outcome, f.Says = finding.Unknown, said.Say("A winch that draws nothing pulls nothing.")
		f.Needs = []finding.Need{{Path: s.Rig.LayoutPath("/loading/winch/amps"), Says: said.Say("what the winch draws at its rated pull"), Where: said.Say("On its plate.")}}
		return f
	}
	times := math.Floor(*w.Battery / 2 / used)
	f.Figure, f.Limit = finding.Exactly(quantity.KindCount, times), finding.Exactly(quantity.KindCount, 2.0)
	f.Says = said.Say("% A for %: half the battery pulls it on % times.", said.Of(quantity.KindCount, math.Round(amps)), said.Of(quantity.KindTime, way/speed), said.Of(quantity.KindCount, times))
	switch {
	case times < 2:
		f.Outcome, f.Tight = finding.Tight, finding.LittleRoom
	case !told:
		f.Outcome, f.Tight = finding.Tight, finding.GuessTooRough
		f.Says = append(f.Says, said.Say(" Its current and speed are usual ones: look at its plate.")...)
	}
	return f
}

// post is the winch post bent at its foot by height × pull, both of the line's ends
// with a block.
func (s *Setup) post(pull float64) finding.Finding {
	w := s.Loading.Winch
	f := s.base(CodePost, "Winch post")
	f.Source = norms.Practice("reserve 1.5 on yield; a brace holds the post where it meets it")
	size, stock := parts.SizeOf(*w.Post), stockOf(*w.Post)
	p, err := section.Of(size)
	if err != nil {
		f.Outcome, f.Says = finding.Fails, said.Say("The post's section makes no sense: "+err.Error()+".")
		return f
	}
	up, brace := math.Max(0, float64(w.Up)), float64(w.Brace)
	arm := up - brace // above the brace, or above the deck
	if up < brace {   // held at foot and brace, drawn between them
		arm = up * (brace - up) / brace
	}
	moment := pull * quantity.Gravity * arm
	stress, allowed := moment/p.Wy, stock.Yield/1.5
	margin := (allowed - stress) / allowed
	f.Figure, f.Limit, f.Margin = finding.Exactly(quantity.KindStress, stress), finding.Exactly(quantity.KindStress, allowed), &margin
	at := "foot"
	if w.Brace > 0 {
		at = "middle, at the brace,"
	}
	f.Says = said.Say("The post's "+at+" is used to %: % on an arm of %.", said.Share(stress/allowed), said.Mass(pull), said.Length(arm))
	if stress > allowed {
		f.Outcome = finding.Fails
		f.Says = append(f.Says, said.Say(" Lower, stronger, or braced.")...)
	}
	return f
}
