package ramp

import (
	"math"
	"slices"

	"zygonos/core/facts/norms"
	"zygonos/core/lang/finding"
	"zygonos/core/lang/quantity"
	"zygonos/core/lang/said"
)

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

// OnLayer is what a winch pulls with its line on layer n (1 the first), from what it
// pulls on the first: P·(D + d)/(D + (2n − 1)·d), bare drum D, line d.
func OnLayer(pull, drum, line float64, n int) float64 {
	if n <= 1 || drum <= 0 {
		return pull
	}
	return pull * (drum + line) / (drum + float64(2*n-1)*line)
}

// Handle is the push on a crank, N, for a line's pull F (N) off a drum of radius ρ:
// F·ρ/(i·c·η).
func Handle(force, radius, ratio, crank float64) float64 {
	return force * radius / (ratio * crank * norms.CrankKeeps)
}

// Current is what an electric winch draws at a pull, a straight line from idle to rated.
func Current(idle, full, pull, rated float64) float64 { return idle + (full-idle)*pull/rated }

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
		f.Outcome, f.Says = finding.Fails, said.Say(
			"The line lifts an axle before it comes on: fill the step, let its wheels turn, or lead the line lower.",
		)
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
			{
				Symbol:  "b",
				Says:    said.Say("a step of % before a wheel", said.Length(s.step())),
				Formula: "b = √(2rh − h²)/(r − h)",
				Result:  share(math.Max(l.Front.Bump, l.Rear.Bump)),
			},
			{
				Symbol:  "α",
				Says:    said.Say("how far a wheel's force leans back there"),
				Formula: "α = atan b + atan c",
				Result:  finding.Exactly(quantity.KindAngle, math.Max(l.Front.leans(), l.Rear.leans())),
				Terms: []finding.StepTerm{
					{
						Symbol:  "c",
						Says:    said.Say("rolling resistance"),
						Measure: share(l.Front.Rolls),
						How:     "rule followed",
					}},
			},
			{
				Symbol:  "P",
				Says:    said.Say("at its worst place, from rest"),
				Formula: formula,
				Result:  f.Figure,
				Source:  f.Source,
				Terms: []finding.StepTerm{
					{
						Symbol:  "W",
						Says:    said.Say("the machine"),
						Measure: finding.Exactly(quantity.KindMass, s.Mass),
						How:     "computed",
					},
					{
						Symbol:  "θ",
						Says:    said.Say("the ramp"),
						Measure: finding.Exactly(quantity.KindAngle, s.Angle),
						How:     "computed",
					}},
			}}
	}
	takes := said.Say("It takes % on the line", said.Mass(most))
	if l := s.line(steps[at].Pose); l.Front.Bump > 0 || l.Rear.Bump > 0 {
		takes = append(takes, said.Say(", over a step of %", said.Length(s.step()))...)
	}
	if w.Pull == nil {
		f.Outcome, f.Says = finding.Unknown, append(takes, said.Say(". What does the winch pull?")...)
		f.Needs = []finding.Need{
			{
				Path:  path + "/pull",
				Says:  said.Say("the winch's rated pull"),
				Where: said.Say("On its plate, for the first layer on the drum."),
			},
		}
		return []finding.Finding{f}
	}
	hard := s.hardest(steps)
	takesMost, has := s.Pull(hard), float64(*w.Pull)*s.leaves(hard)
	f.Figure, f.Limit = finding.Exactly(quantity.KindMass, takesMost), finding.Exactly(quantity.KindMass, has)
	margin := (has - takesMost) / has
	f.Margin = &margin
	fuller, untold := s.fuller(hard)
	f.Says = append(takes, said.Say("; the winch pulls %.", said.Mass(has))...)
	if takesMost < most*(1-1e-9) {
		f.Says = append(f.Says, said.Say(" Where the drum is fuller it needs %.", said.Mass(takesMost))...)
	}
	switch {
	case takesMost > has:
		f.Outcome = finding.Fails
		f.Says = append(f.Says, said.Say(" Fill the step, put a block at the machine, or use longer ramps.")...)
	case takesMost*reserveLine > has:
		f.Outcome, f.Tight = finding.Tight, finding.LittleRoom
	case takesMost*reserveLine > fuller*has:
		f.Outcome, f.Tight, f.Needs = finding.Tight, finding.GuessTooRough, untold
		f.Says = slices.Concat(f.Says,
			said.Say(" That is on the first layer; on a full drum about %. Enter ", said.Mass(fuller*has)),
			finding.Takes(untold), said.Say("."))
	}
	out := []finding.Finding{f}
	both := most // what a block's shackle bears, and what both of its line's ends hang on
	if w.Block {
		both = 2 * most
	}
	out = append(out, s.tackle(most, both))
	if w.Ratio > 0 && w.Crank > 0 && w.Drum > 0 {
		h := s.base(CodeCrank, "Hand on the crank")
		push := Handle(takesMost*quantity.Gravity, s.radius(hard), w.Ratio, float64(w.Crank))
		h.Source = norms.Practice("200 N on a crank, a fifth rubs away")
		h.Figure, h.Limit = finding.Exactly(quantity.KindForce, push), finding.Exactly(quantity.KindForce, handPush)
		h.Says = said.Say("The crank takes %.", said.Of(quantity.KindForce, push))
		switch {
		case push > handPush:
			h.Outcome, h.Tight = finding.Tight, finding.LittleRoom
			h.Says = append(h.Says, said.Say(" Heavy: use a block, or a slower gear.")...)
		case push > fuller*handPush:
			onFullDrum(&h, push/fuller, untold)
		}
		out = append(out, h)
	}
	if w.Lever != nil && w.Lever.Handle > 0 && w.Drum > 0 {
		out = append(out, s.lever(takesMost, hard))
	}
	if w.Reach != nil && w.Flange != nil && w.Drum > 0 && w.Line > 0 {
		out = append(out, s.drum())
	}
	if w.Battery != nil {
		out = append(out, s.battery(most))
	}
	if w.Post != nil {
		out = append(out, s.post(both))
	}
	return append(out, s.mount(both)...)
}

// tackle holds the pull against the working load limits of line, hook and shackle; what is
// not stated of them is asked for, the line's first.
func (s *Setup) tackle(most, both float64) finding.Finding {
	w := s.Loading.Winch
	f := s.base(CodeLine, "Line, hook, shackle")
	path := s.Rig.LayoutPath("/loading/winch")
	used := -1.0
	for _, l := range []struct {
		max               *quantity.Mass
		name, path, where string
		on                float64
	}{
		{w.LineMax, "line", "/lineMax", "On its tag.", most},
		{w.HookMax, "hook", "/hookMax", "Stamped on it.", most},
		{w.TieMax, "shackle", "/tieMax", "Stamped on it.", both},
	} {
		switch {
		case l.max == nil:
			f.Needs = append(
				f.Needs,
				finding.Need{
					Path:  path + l.path,
					Says:  said.Say("the " + l.name + "'s working load limit"),
					Where: said.Say(l.where),
				},
			)
		case l.on > used*float64(*l.max):
			used = l.on / float64(*l.max)
			f.Figure, f.Limit = finding.Exactly(
				quantity.KindMass,
				l.on,
			), finding.Exactly(
				quantity.KindMass,
				float64(*l.max),
			)
			f.Says = said.Say(
				"The % is the weakest: % of %.",
				said.Piece{Text: l.name},
				said.Mass(l.on),
				said.Mass(float64(*l.max)),
			)
		}
	}
	switch {
	case used > 1:
		f.Outcome, f.Needs = finding.Fails, nil
	case w.LineMax == nil:
		f.Outcome, f.Figure, f.Limit = finding.Unknown, finding.Exactly(quantity.KindMass, most), nil
		f.Says = said.Say("What can line, hook and shackle take? They are pulled with %.", said.Mass(most))
	case len(f.Needs) > 0:
		f.Outcome, f.Tight = finding.Tight, finding.GuessTooRough
		f.Says = append(
			append(append(f.Says, said.Say(" Not entered: ")...), f.Needs[0].Says...),
			said.Piece{Text: "."},
		)
	}
	f.Says = append(f.Says, said.Say(" Stand clear of the line and put a damper on it.")...)
	return f
}

// battery is how often an electric winch pulls the machine on: I·t of half the
// battery, t the way over the line's speed. What is not stated of the winch is usual.
func (s *Setup) battery(pull float64) finding.Finding {
	w := s.Loading.Winch
	f := s.base(CodeBattery, "Winch's battery")
	f.Source = norms.Practice(
		"half of a lead battery's A·h; 0.13 A a kg of rated pull, 20 A without load, 30 mm/s where nothing is entered",
	)
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
		f.Needs = []finding.Need{
			{
				Path:  s.Rig.LayoutPath("/loading/winch/amps"),
				Says:  said.Say("what the winch draws at its rated pull"),
				Where: said.Say("On its plate."),
			},
		}
		return f
	}
	times := math.Floor(*w.Battery / 2 / used)
	f.Figure, f.Limit = finding.Exactly(quantity.KindCount, times), finding.Exactly(quantity.KindCount, 2.0)
	f.Says = said.Say(
		"% A for %: half the battery pulls it on % times.",
		said.Of(quantity.KindCount, math.Round(amps)),
		said.Of(quantity.KindTime, way/speed),
		said.Of(quantity.KindCount, times),
	)
	switch {
	case times < 2:
		f.Outcome, f.Tight = finding.Tight, finding.LittleRoom
	case !told:
		f.Outcome, f.Tight = finding.Tight, finding.GuessTooRough
		f.Says = append(f.Says, said.Say(" Its current and speed are the usual ones: look at its plate.")...)
	}
	return f
}
