// Package towing answers whether every rating between the load and the tow
// vehicle holds: the rating chain, brakes and second link, and the payload
// that may still be added. Formulas: docs/method/chain.md.
package towing

import (
	"math"
	"slices"

	"zygonos/core/facts/norms"
	"zygonos/core/lang/finding"
	"zygonos/core/lang/quantity"
	"zygonos/core/lang/said"
	"zygonos/core/plan"
	"zygonos/core/rig"
)

type span = quantity.Range[float64]

// Reserve is the share of a rating that counts as little room.
const Reserve = 0.05

// mostNamed is how many missing figures a sentence names.
const mostNamed = 3

// Codes of the findings made here. A link's code is "towing.link." and its id.
const (
	CodeLink      = "towing.link."
	CodePayload   = "towing.payload"
	CodeBrakes    = "towing.brakes"
	CodeBreakaway = "towing.breakaway"
	CodeChains    = "towing.chains"
	CodeBallSize  = "towing.ball-size"
	CodeTyreSpeed = "towing.tyre-speed"
	CodeRoadSpeed = "towing.road-speed"
	CodePlug      = "towing.plug"
	CodeMount     = "towing.mount"
	CodeFill      = "towing.fill"
)

// Link is one rating of the chain: what it reads, how much of it is used.
type Link struct {
	ID        string           `json:"id"`
	Stage     string           `json:"stage"`
	Name      said.Sentence    `json:"name"`
	Reads     norms.Reads      `json:"reads"`
	Figure    *finding.Measure `json:"figure,omitempty"`
	Limit     *finding.Measure `json:"limit,omitempty"`
	Share     *finding.Measure `json:"share,omitempty"` // used share of the rating
	Outcome   finding.Outcome  `json:"outcome"`
	Essential bool             `json:"essential"`
	Weakest   bool             `json:"weakest,omitempty"`
	Key       string           `json:"key"` // of its finding
	Part      float64          `json:"-"`   // of what comes on the axles that it reads: 1, or one axle's share
}

// Result is what towing finds of a rig.
type Result struct {
	Chain    []Link
	Payload  *Payload
	Fills    []Fill
	Findings []finding.Finding
}

// Check judges one rig.
func Check(r *rig.Rig) Result {
	var out Result
	all := links(r)
	out.Chain, out.Findings = make([]Link, 0, len(all)), make([]finding.Finding, 0, len(all)+12)
	for _, l := range all {
		f := l.judge(r)
		link := Link{
			ID:        l.id,
			Stage:     l.stage,
			Name:      l.name,
			Reads:     l.reads,
			Figure:    f.Figure,
			Limit:     f.Limit,
			Outcome:   f.Outcome,
			Essential: l.essential,
			Key:       f.Key(),
			Part:      l.part(),
		}
		if f.Figure != nil && f.Limit != nil && f.Limit.Value > 0 {
			s := measureSpan(f.Figure).Over(f.Limit.Value)
			link.Share = finding.Of(quantity.KindShare, s)
		}
		out.Chain = append(out.Chain, link)
		out.Findings = append(out.Findings, f)
	}
	markWeakest(out.Chain)
	var f finding.Finding
	out.Payload, f = payload(r, all)
	out.Findings = append(out.Findings, f)
	out.Findings = append(out.Findings, brakes(r)...)
	for _, check := range []func(*rig.Rig) (finding.Finding, bool){ballSize, tyreSpeed, roadSpeed, plug, mount, licence} {
		if f, ok := check(r); ok {
			out.Findings = append(out.Findings, f)
		}
	}
	var fs []finding.Finding
	out.Fills, fs = fills(r, all)
	out.Findings = append(out.Findings, fs...)
	return out
}

func measureSpan(m *finding.Measure) span {
	s := quantity.Exactly(m.Value)
	if m.Low != nil {
		s.Low, s.High = *m.Low, *m.High
	}
	return s
}

func markWeakest(chain []Link) {
	worst := -1
	for i := range chain {
		if chain[i].Share != nil && chain[i].Outcome != finding.Unknown &&
			(worst < 0 || chain[i].Share.Value > chain[worst].Share.Value) {
			worst = i
		}
	}
	if worst >= 0 {
		chain[worst].Weakest = true
	}
}

// link is one rating before it is judged.
type link struct {
	id, stage, path string
	name            said.Sentence
	reads           norms.Reads
	essential       bool
	gate            finding.Gate
	limit           *float64
	least           *float64 // the limit at its low end, where it is a guess itself; nil: it is the limit
	axles           int      // that share what it reads; 0: it reads all of it
	figure          *span    // nil: not known
	where           said.Sentence
	needs           []finding.Need // what the figure takes
	act             string         // what to do when it is over
	kind            quantity.Kind  // of figure and limit; empty is a mass
	bare            said.Sentence  // what is said where the thing has no rating to be read
	note            said.Sentence  // what else is said of a known rating
	steps           func() []finding.Step
	source          *finding.Source
	// An unclear rating has another reading; where the two come to different
	// outcomes it is Not known, and unclear says so.
	alternative *link
	unclear     func() (said.Sentence, finding.Need)
}

// part is the share of what comes on the axles that the link reads.
func (l *link) part() float64 { return 1 / float64(max(1, l.axles)) }

// known reports whether there is a rating and what stands on it.
func (l *link) known() bool { return l != nil && l.limit != nil && l.figure != nil }

func (l *link) judge(r *rig.Rig) finding.Finding {
	f := finding.Finding{
		Code:      CodeLink + l.id,
		Stage:     l.stage,
		Scope:     r.Scope,
		Gate:      l.gate,
		Essential: l.essential,
		Subject:   l.path,
		Title:     l.name,
		Source:    l.source,
	}
	kind := l.kind
	if kind == "" {
		kind = quantity.KindMass
	}
	shown := func(v float64) said.Piece { return said.Of(kind, v) }
	if l.figure != nil {
		f.Figure = finding.Of(kind, *l.figure)
	}
	if l.limit != nil {
		f.Limit = finding.Exactly(kind, *l.limit)
	}
	capital := said.Sentence{}
	capital = append(capital, l.name...)
	switch {
	case l.limit == nil:
		f.Outcome = finding.Unknown
		if l.bare != nil { // there is none to be read
			f.Says = l.bare
			return f
		}
		f.Needs = []finding.Need{{Path: l.path, Says: l.name, Where: l.where}}
		f.Says = append(append(capital, said.Piece{Text: " not known. "}), l.where...)
		return f
	case l.figure == nil:
		f.Outcome, f.Needs = finding.Unknown, l.needs
		without := said.Say(": the weight on it is not known yet.")
		if n := len(l.needs); n > 0 && n <= mostNamed {
			without = slices.Concat(said.Say(": not known without "), finding.Takes(l.needs), said.Say("."))
		}
		f.Says = append(capital, without...)
		return f
	}
	f.Outcome, f.Tight = finding.Under(*l.figure, *l.limit, Reserve)
	if l.least != nil && f.Outcome != finding.Fails && quantity.Exceeds(l.figure.High, *l.least) {
		f.Outcome, f.Tight = finding.Tight, finding.GuessTooRough
	}
	if a := l.alternative; a != nil {
		if outcomeOf(a) != f.Outcome {
			f.Outcome, f.Tight = finding.Unknown, ""
			says, need := l.unclear()
			f.Says, f.Needs = says, []finding.Need{need}
			return f
		}
	}
	margin := (*l.limit - l.figure.Nominal) / *l.limit
	f.Margin = &margin
	f.HasWork = true
	f.Work = func() []finding.Step {
		steps := []finding.Step{}
		if l.steps != nil {
			steps = l.steps()
		}
		return append(
			steps,
			finding.Step{
				Symbol:  "used",
				Says:    l.name,
				Formula: "used = figure / rating",
				Result:  finding.Of(quantity.KindShare, l.figure.Over(*l.limit)),
				Source:  l.source,
				Terms: []finding.StepTerm{
					{Symbol: "figure", Says: said.Say("bears"), Measure: f.Figure, How: "computed"},
					{Symbol: "rating", Says: l.name, Measure: f.Limit, How: string(plan.Plate), Path: l.path},
				},
			},
		)
	}
	over := l.figure.Nominal - *l.limit
	switch {
	case f.Outcome == finding.Fails:
		f.Says = append(
			capital,
			said.Say(": % of %, % over. "+l.act, shown(l.figure.Nominal), shown(*l.limit), shown(over))...)
	case f.Tight == finding.GuessTooRough && !quantity.Exceeds(l.figure.High, *l.limit):
		f.Says = append(
			capital,
			said.Say(": % of %, which may be only %. Weigh first.",
				shown(l.figure.Nominal), shown(*l.limit), shown(*l.least))...)
	case f.Tight == finding.GuessTooRough:
		f.Says = append(
			capital,
			said.Say(
				": % of %, but the guesses allow %. Weigh first.",
				shown(l.figure.Nominal),
				shown(*l.limit),
				shown(l.figure.High),
			)...)
	case f.Tight == finding.LittleRoom:
		f.Says = append(
			capital,
			said.Say(": % of %, only % left.", shown(l.figure.Nominal), shown(*l.limit), shown(-over))...)
	default:
		f.Says = append(capital, said.Say(": % of %.", shown(l.figure.Nominal), shown(*l.limit))...)
	}
	f.Says = append(f.Says, l.note...)
	return f
}

// tyreNote says why the tyres count for less than a wall says.
func tyreNote(r *rig.Rig) (out said.Sentence) {
	if r.CarTyres() {
		out = said.Say(" These are car {tyre}s: on a trailer the load on their wall is divided by 1.1.")
	}
	if least, most, ok := r.TyresDiffer(); ok {
		out = append(out, said.Say(" One {tyre}'s load is entered as % and as %: the lower figure counts.",
			said.Mass(least), said.Mass(most))...)
	}
	return out
}

// outcomeOf judges one reading of an unclear rating.
func outcomeOf(l *link) finding.Outcome {
	if !l.known() {
		return finding.Unknown
	}
	o, _ := finding.Under(*l.figure, *l.limit, Reserve)
	return o
}

const lighten = "Take weight off."

func links(r *rig.Rig) []*link {
	t, tp := r.Trailer, "/trailers/"+r.Scope.Trailer
	var ball, wheels *span
	if r.Bears != nil {
		ball, wheels = &r.Bears.Ball, &r.Bears.OnAxle
		if r.Beam.Optional() { // with something behind the axle left at home the ball bears more
			if s, ok := r.Beam.States().Solve(); ok && s.Ball.High > ball.Nominal {
				ball = &span{Nominal: s.Ball.High, Low: ball.Low, High: max(ball.High, s.Ball.High)}
			}
		}
	}
	total := r.Total()
	plateOf := said.Say("Read it on the trailer's plate.")
	num := func(v *quantity.Mass) *float64 {
		if v == nil {
			return nil
		}
		f := float64(*v)
		return &f
	}
	massSteps := func() []finding.Step { return r.MassSteps() }
	beamSteps := func() []finding.Step { return r.SupportSteps() }
	out := []*link{label(r, total)}
	add := func(l *link) {
		l.needs = r.Needs
		if l.gate == "" {
			l.gate = finding.GateGo
		}
		out = append(out, l)
	}
	if r.Plan.Region == quantity.Australia || t.OnWheels != nil {
		add(
			&link{
				id:     "on-wheels",
				stage:  "trailer",
				path:   tp + "/onWheels",
				name:   said.Say("{On wheels}"),
				reads:  norms.ReadsWheels,
				limit:  num(t.OnWheels),
				figure: wheels,
				where:  plateOf,
				act:    lighten,
				steps:  beamSteps,
			},
		)
	}
	axle := said.Say("Read the axle's plate, at the middle of the tube or behind a wheel.")
	if n := t.AxleCount(); n > 1 {
		axle = said.Say(
			"Read each axle's plate, at the middle of the tube or behind a wheel, and add up all %.",
			said.Count(n),
		)
	}
	add(
		&link{
			id:        "axle",
			stage:     "trailer",
			path:      tp + "/axleRating",
			name:      said.Say(map[bool]string{false: "Axle", true: "Axles together"}[t.AxleCount() > 1]),
			reads:     norms.ReadsWheels,
			essential: true,
			limit:     num(t.AxleRating),
			figure:    wheels,
			where:     axle,
			act:       lighten,
			steps:     beamSteps,
		},
	)
	group, n := r.Group, t.AxleCount()
	var heavy *span
	if group != nil {
		h := group.Heaviest()
		heavy = &h
		add(
			&link{
				id:    "axle-heavier",
				stage: "trailer",
				path:  tp + "/axleRating",
				name:  said.Say("The heavier axle"),
				reads: norms.ReadsWheels,
				axles: n,
				limit: shareOf(
					t.AxleRating,
					n,
				),
				figure: heavy,
				where:  axle,
				act:    "Without an equaliser the height of the ball shares the load: bring it level, or take weight off.",
				steps:  beamSteps,
			},
		)
	}
	if t.SpringRating != nil {
		add(
			&link{
				id:     "springs",
				stage:  "trailer",
				path:   tp + "/springRating",
				name:   said.Say("Springs"),
				reads:  norms.ReadsWheels,
				limit:  num(t.SpringRating),
				figure: wheels,
				where:  plateOf,
				act:    lighten,
				steps:  beamSteps,
			},
		)
	}
	tyre, field, tyreSource := r.TyreLimit()
	tyrePath, tyreNote := tp+field, tyreNote(r)
	wall := said.Say("Read the {tyre}'s wall: “max load”, or the load index before the speed letter.")
	times := func(v *float64, n int) *float64 {
		if v == nil {
			return nil
		}
		f := *v * float64(n)
		return &f
	}
	tyres := &link{
		id:        "tyres",
		stage:     "trailer",
		path:      tyrePath,
		name:      said.Say("{Tyre}s"),
		reads:     norms.ReadsWheels,
		essential: true,
		limit: times(
			tyre,
			r.Tyres(),
		),
		figure: wheels,
		where:  wall,
		act:    lighten,
		steps:  beamSteps,
		source: tyreSource,
		note:   tyreNote,
	}
	if heavy != nil { // the heavier axle's bear most
		tyres.name, tyres.limit, tyres.figure, tyres.axles = said.Say(
			"{Tyre}s of the heavier axle",
		), times(
			tyre,
			2,
		), heavy, n
	}
	add(tyres)
	if r.Bears != nil && r.Bears.Left != nil && tyre != nil {
		for _, s := range []struct {
			id, name string
			bears    *span
		}{{"tyres-left", "{Tyre}s on the left", r.Bears.Left}, {"tyres-right", "{Tyre}s on the right", r.Bears.Right}} {
			side := &link{
				id:    s.id,
				stage: "trailer",
				path:  tyrePath,
				name:  said.Say(s.name),
				reads: norms.ReadsSide,
				limit: times(
					tyre,
					r.Tyres()/2,
				),
				figure: s.bears,
				where:  wall,
				act:    "Move weight across.",
				steps:  beamSteps,
				source: tyreSource,
				note:   tyreNote,
			}
			if b := r.Bears.OnAxle; heavy != nil && b.Nominal > 0 && b.Low > 0 { // as uneven on each axle
				most := span{
					Nominal: s.bears.Nominal * heavy.Nominal / b.Nominal,
					Low:     s.bears.Low * heavy.Low / b.High,
					High:    s.bears.High * heavy.High / b.Low,
				}
				side.limit, side.figure, side.axles = tyre, &most, n
				side.name = append(side.name, said.Say(", the heavier axle's")...)
			}
			add(side)
		}
	}
	add(
		&link{
			id:        "coupling",
			stage:     "trailer",
			path:      tp + "/couplingRating",
			name:      said.Say("{Coupling}"),
			reads:     norms.ReadsTotal,
			essential: true,
			limit: num(
				t.CouplingRating,
			),
			figure: total,
			where:  said.Say("It is stamped on the {coupling}."),
			act:    lighten,
			steps:  massSteps,
		},
	)
	if t.CouplingBall != nil {
		add(
			&link{
				id:    "coupling-ball",
				stage: "trailer",
				path:  tp + "/couplingBall",
				name:  said.Say("{Coupling}'s {ball load} limit"),
				reads: norms.ReadsBall,
				limit: num(
					t.CouplingBall,
				),
				figure: ball,
				where:  plateOf,
				act:    "Move weight back.",
				steps:  beamSteps,
			},
		)
	}
	if r.Outing == nil {
		return out
	}
	return append(out, carLinks(r, total, ball, wheels)...)
}

// shareOf is what one of n axles may bear of a rating for all of them.
func shareOf(rating *quantity.Mass, n int) *float64 {
	if rating == nil {
		return nil
	}
	f := float64(*rating) / float64(n)
	return &f
}

// label is the trailer's own rating as printed: gross, load alone, or unsure.
func label(r *rig.Rig, total *span) *link {
	l := &link{
		id:        "gross",
		stage:     "trailer",
		path:      "/trailers/" + r.Scope.Trailer + "/label",
		name:      said.Say("Trailer's {gross}"),
		reads:     norms.ReadsTotal,
		essential: true,
		gate:      finding.GateBuy,
		act:       lighten,
		needs:     r.Needs,
		figure:    total,
		where:     said.Say("Read the plate on frame or {drawbar}; a home-made trailer may have none."),
		steps:     func() []finding.Step { return r.MassSteps() },
	}
	if r.Trailer.Label == nil {
		if r.Trailer.NoPlate {
			l.bare = said.Say(
				"No plate: {tyre}s, axle and {coupling} limit the load, and the frame stays not known. Have it looked at.",
			)
		}
		return l
	}
	limit := float64(r.Trailer.Label.Value)
	l.limit = &limit
	load := *l
	load.name, load.figure = said.Say("Trailer's load rating"), r.Cargo()
	load.steps = func() []finding.Step { return r.MassSteps() }
	switch r.Trailer.Label.Counts {
	case plan.CountsPayload:
		return &load
	case plan.CountsUnsure:
		l.alternative = &load
		l.unclear = func() (said.Sentence, finding.Need) {
			need := finding.Need{
				Path:  l.path + "/counts",
				Says:  said.Say("what the label counts"),
				Where: said.Say("Look on the plate for {gross}; the label's number may be the load alone."),
			}
			if load.figure == nil {
				return said.Say("Does the label's % count the trailer itself?", said.Mass(limit)), need
			}
			return said.Say(
				"Does the label's % count the trailer itself? As {gross}: % of it used. As load only: %.",
				said.Mass(limit),
				said.Share(l.figure.Nominal/limit),
				said.Share(load.figure.Nominal/limit),
			), need
		}
	}
	return l
}

// carLinks are the ratings on the tow vehicle's side.
func carLinks(r *rig.Rig, total, ball, wheels *span) []*link {
	v, vp := r.Vehicle, "/towVehicles/"+r.VehicleID
	if v == nil {
		return []*link{
			{
				id:        "car",
				stage:     "vehicle",
				path:      "/outings/" + r.Scope.Outing + "/vehicle",
				name:      said.Say("Tow vehicle"),
				essential: true,
				gate:      finding.GateGo,
				where:     said.Say("Say which car tows this outing."),
			},
		}
	}
	num := func(v *quantity.Mass) *float64 {
		if v == nil {
			return nil
		}
		f := float64(*v)
		return &f
	}
	var out []*link
	add := func(l *link) {
		l.stage = "vehicle"
		if l.needs == nil {
			l.needs = r.Needs
		}
		if l.gate == "" {
			l.gate = finding.GateGo
		}
		out = append(out, l)
	}
	book := said.Say("Read the handbook or the papers.")
	towed, towSteps := total, func() []finding.Step { return r.MassSteps() }
	if r.Rules.TowReads == norms.ReadsWheels {
		towed, towSteps = wheels, func() []finding.Step { return r.SupportSteps() }
	}
	tow := towLink(r, vp, towed)
	tow.where, tow.steps = book, towSteps
	add(tow)
	if r.Rules.HalfKerb && r.Trailer.Brakes == plan.BrakesNone {
		half := &link{
			id:     "half-kerb",
			path:   vp + "/kerb",
			name:   said.Say("Half the {curb weight}, unbraked"),
			reads:  norms.ReadsTotal,
			figure: total,
			where: said.Say(
				"Read the car's papers.",
			),
			act:    "Carry less or fit brakes.",
			steps:  towSteps,
			source: &r.Rules.KerbSource,
		}
		if v.Kerb != nil {
			kerb := v.Kerb.Range(r.Plan).Floats()
			h, least := kerb.Nominal/2, kerb.Low/2
			half.limit, half.least = &h, &least
		}
		add(half)
	}
	add(
		&link{
			id:        "hitch",
			path:      vp + "/hitchTow",
			name:      said.Say("{Tow bar} rating"),
			reads:     norms.ReadsTotal,
			essential: true,
			limit:     num(v.HitchTow),
			figure:    total,
			where:     said.Say("Read the plate on the {tow bar}."),
			act:       lighten,
			steps:     towSteps,
		},
	)
	if d := hitchD(r); d != nil {
		add(d)
	}
	beamSteps := func() []finding.Step { return r.SupportSteps() }
	add(
		&link{
			id:        "ball-limit",
			path:      vp + "/ballLimit",
			name:      said.Say("Car's {ball load} limit"),
			reads:     norms.ReadsBall,
			essential: true,
			limit:     num(v.BallLimit),
			figure:    ball,
			where:     book,
			act:       "Move weight back or take some off.",
			steps:     beamSteps,
		},
	)
	add(
		&link{
			id:     "hitch-ball",
			path:   vp + "/hitchBall",
			name:   said.Say("{Tow bar}'s {ball load} limit"),
			reads:  norms.ReadsBall,
			limit:  num(v.HitchBall),
			figure: ball,
			where: said.Say(
				"Read the plate on the {tow bar}.",
			),
			act:   "Move weight back or take some off.",
			steps: beamSteps,
		},
	)
	if m := r.Mount; m != nil {
		mp := "/ballMounts/" + v.Mount
		label := said.Say("Read the label on the ball mount.")
		add(&link{
			id: "mount", path: mp + "/tow", name: said.Say("Ball mount's rating"), reads: norms.ReadsTotal,
			essential: true, limit: num(m.Tow), figure: total, where: label, act: lighten, steps: towSteps,
		})
		add(&link{
			id: "mount-ball", path: mp + "/ball", name: said.Say("Ball mount's {ball load} limit"),
			reads: norms.ReadsBall, essential: true, limit: num(m.Ball), figure: ball, where: label,
			act: "Move weight back or take some off.", steps: beamSteps,
		})
	}
	add(
		&link{
			id:     "ball",
			path:   r.VehiclePath("ballRating"),
			name:   said.Say("Ball"),
			reads:  norms.ReadsTotal,
			limit:  num(v.BallRating),
			figure: total,
			where:  said.Say("It is stamped on top of the ball."),
			act:    "Fit a ball rated for it.",
			steps:  towSteps,
		},
	)
	car, needs := r.CarMass()
	carTotal, train := plus(car, ball), plus(car, total)
	carNeeds := append(slices.Clone(needs), r.Needs...)
	add(
		&link{
			id:        "car-gross",
			path:      vp + "/gross",
			name:      said.Say("Car's {car gross}"),
			reads:     norms.ReadsCar,
			essential: true,
			limit:     num(v.Gross),
			figure:    carTotal,
			needs:     carNeeds,
			where: said.Say(
				"Read the plate on the door post.",
			),
			act:   "Leave people or luggage behind.",
			steps: func() []finding.Step { return carSteps(r, carTotal, ball) },
		},
	)
	add(
		&link{
			id:     "train",
			path:   vp + "/train",
			name:   said.Say("{Train gross}"),
			reads:  norms.ReadsTrain,
			limit:  num(v.Train),
			figure: train,
			needs:  carNeeds,
			where: said.Say(
				"Read the plate on the door post or the handbook.",
			),
			act:   lighten,
			steps: func() []finding.Step { return carSteps(r, train, total) },
		},
	)
	rear, rearNeeds := r.CarRear(ball)
	add(
		&link{
			id:     "rear-axle",
			path:   vp + "/rearLimit",
			name:   said.Say("Car's rear axle"),
			reads:  norms.ReadsRear,
			limit:  num(v.RearLimit),
			figure: rear,
			needs:  rearNeeds,
			where: said.Say(
				"Read the plate on the door post.",
			),
			act:   "Take weight off the ball or out of the boot.",
			steps: func() []finding.Step { return rearSteps(r, rear) },
		},
	)
	return out
}

// towLink is the car's tow rating, with or without trailer brakes. Where the
// brakes are not stated it is read both ways, and stands only if both agree; the
// rating without brakes, where it is not known, may be as low as zero.
func towLink(r *rig.Rig, vp string, towed *span) *link {
	v := r.Vehicle
	pick := func(m *quantity.Mass) *float64 {
		if m == nil {
			return nil
		}
		f := float64(*m)
		return &f
	}
	l := link{
		id:        "tow",
		path:      vp + "/towBraked",
		name:      said.Say("{Tow rating}, with brakes"),
		reads:     r.Rules.TowReads,
		essential: true,
		figure:    towed,
		act:       lighten,
		limit:     pick(v.TowBraked),
	}
	without := l
	without.limit, without.path, without.name = pick(
		v.TowUnbraked,
	), vp+"/towUnbraked", said.Say(
		"{Tow rating}, no brakes",
	)
	switch r.Trailer.Brakes {
	case plan.BrakesNone:
		return &without
	case "":
		if l.limit == nil {
			l = without
		}
		l.name = said.Say("{Tow rating}")
		l.alternative = &without
		l.unclear = func() (said.Sentence, finding.Need) {
			need := finding.Need{
				Path:  "/trailers/" + r.Scope.Trailer + "/brakes",
				Says:  said.Say("whether the trailer has brakes"),
				Where: said.Say("Look behind a wheel and at the {coupling}."),
			}
			return said.Say(
				"{Tow rating}: % of % with brakes; without brakes it may be less. Does this trailer have brakes?",
				said.Mass(l.figure.Nominal),
				said.Mass(*l.limit),
			), need
		}
	}
	return &l
}

func plus(a, b *span) *span {
	if a == nil || b == nil {
		return nil
	}
	return &span{Nominal: a.Nominal + b.Nominal, Low: a.Low + b.Low, High: a.High + b.High}
}

func carTerms(r *rig.Rig) []finding.StepTerm {
	var terms []finding.StepTerm
	add := func(symbol, says, path string, e *plan.MassEstimate) {
		if e != nil {
			terms = append(
				terms,
				finding.StepTerm{
					Symbol:  symbol,
					Says:    said.Say(says),
					Measure: finding.Of(quantity.KindMass, e.Range(r.Plan)),
					How:     string(e.How),
					Path:    path,
				},
			)
		}
	}
	add("m_car", "car, {curb weight}", "/towVehicles/"+r.VehicleID+"/kerb", r.Vehicle.Kerb)
	add("m_people", "people", "/outings/"+r.Scope.Outing+"/people", r.Outing.People)
	add("m_gear", "luggage", "/outings/"+r.Scope.Outing+"/gear", r.Outing.Gear)
	return terms
}

func carSteps(r *rig.Rig, sum, last *span) []finding.Step {
	return append(
		r.SupportSteps(),
		finding.Step{
			Symbol:  "m",
			Says:    said.Say("in all"),
			Formula: "m = m_car + m_people + m_gear + m_trailer or R_ball",
			Result:  finding.Of(quantity.KindMass, *sum),
			Terms: append(
				carTerms(r),
				finding.StepTerm{
					Symbol:  "R",
					Says:    said.Say("from the trailer"),
					Measure: finding.Of(quantity.KindMass, *last),
					How:     "computed",
				},
			),
		},
	)
}

func rearSteps(r *rig.Rig, sum *span) []finding.Step {
	terms := append(
		carTerms(r),
		finding.StepTerm{
			Symbol:  "s_people",
			Says:    said.Say("people's share on the rear axle"),
			Measure: finding.Of(quantity.KindShare, rig.PeopleRear),
			How:     string(plan.Typical),
		},
		finding.StepTerm{
			Symbol:  "s_gear",
			Says:    said.Say("luggage's share on the rear axle"),
			Measure: finding.Of(quantity.KindShare, rig.GearRear),
			How:     string(plan.Typical),
		},
		finding.StepTerm{
			Symbol:  "R_empty",
			Says:    said.Say("rear axle, empty car"),
			Measure: finding.Of(quantity.KindMass, r.Vehicle.RearEmpty.Range(r.Plan)),
			How:     string(r.Vehicle.RearEmpty.How),
		},
		finding.StepTerm{
			Symbol:  "wb",
			Says:    said.Say("wheelbase"),
			Measure: finding.Exactly(quantity.KindLength, r.Vehicle.Wheelbase.Value),
			How:     string(r.Vehicle.Wheelbase.How),
		},
		finding.StepTerm{
			Symbol:  "o",
			Says:    said.Say("rear axle to ball"),
			Measure: finding.Exactly(quantity.KindLength, r.Vehicle.RearOverhang.Value),
			How:     string(r.Vehicle.RearOverhang.How),
		},
		finding.StepTerm{
			Symbol:  "R_ball",
			Says:    said.Say("{ball load}"),
			Measure: finding.Of(quantity.KindMass, r.Bears.Ball),
			How:     "computed",
		},
	)
	return append(r.SupportSteps(), finding.Step{Symbol: "R_rear", Says: said.Say("car's rear axle"),
		Formula: "R_rear = R_empty + s_people·m_people + s_gear·m_gear + R_ball·(wb + o)/wb", Result: finding.Of(quantity.KindMass, *sum), Terms: terms})
}

// Payload is what may be added at one place of the deck.
type Payload struct {
	At   float64          `json:"at"`   // m behind the ball
	From float64          `json:"from"` // m behind the front board
	Mass *finding.Measure `json:"mass"` // kg that may be added; negative: to be taken off
	By   string           `json:"by"`   // id of the link that rules
}

// payload gives what may be added at x, the middle of the deck, on its
// centreline: min(G − Σm, (A − R_axle)·L/x, (S − R_ball)·L/(L − x)) with G, A and
// S the least rating that reads the total, the axle and the ball; a side's tyres
// take half of the axle's part, the car the ball's part, its rear axle that part
// on its lever. Without the trailer's own rating it is Not known.
func payload(r *rig.Rig, all []*link) (*Payload, finding.Finding) {
	f := finding.Finding{
		Code:    CodePayload,
		Stage:   "trailer",
		Scope:   r.Scope,
		Gate:    finding.GateBuy,
		Subject: "/trailers/" + r.Scope.Trailer,
		Title:   said.Say("Payload left"),
	}
	front, rear := r.Deck()
	x, l := (front+rear)/2, 0.0
	if r.Axle != nil {
		l = r.Axle.Nominal
	}
	best, ruling, known := room(r, all, x, likely)
	var name said.Sentence
	by := ""
	if known {
		by, name = ruling.id, ruling.name
	}
	own, open := told(r, all)
	if !known || !own && best >= 0 {
		f.Outcome = finding.Unknown
		if r.Trailer.Label == nil {
			f.Needs = []finding.Need{{Path: all[0].path, Says: all[0].name, Where: all[0].where}}
		}
		f.Needs = append(f.Needs, r.Needs...)
		f.Says = slices.Concat(said.Say("Payload not known: enter "), finding.Takes(f.Needs), said.Say("."))
		return nil, f
	}
	if more, _, _ := room(r, all, x, lenient); best < 0 && more >= 0 { // one reading is over, the other is not
		says, need := ruling.unclear()
		f.Outcome, f.Says, f.Needs = finding.Unknown, says, []finding.Need{need}
		return nil, f
	}
	// While every guess may be at its heavy end, as little may go.
	least, first, _ := room(r, all, x, heavy)
	p := &Payload{At: x, From: x - front, By: by,
		Mass: finding.Of(quantity.KindMass, span{Nominal: best, Low: math.Min(least, best), High: best})}
	f.Figure = p.Mass
	where := said.Length(p.From)
	if best < 0 {
		f.Outcome = finding.Fails
		f.Says = append(
			said.Say(
				"% too much, if what is added sits % behind the {headboard}. Over: ",
				said.Mass(-best),
				where,
			),
			name...)
	} else {
		f.Outcome = finding.Holds
		f.Says = append(said.Say("% more can go % behind the {headboard}. Reached first: ", said.Mass(math.Floor(best)), where), name...)
		if least < 0 {
			f.Outcome, f.Tight = finding.Tight, finding.GuessTooRough
			f.Says = slices.Concat(f.Says, said.Say(". By the guesses a rating may already be reached: "), first.name)
		}
		if r.Bears == nil { // what axle and ball leave is not known
			f.Outcome, f.Tight, f.Needs = finding.Unknown, "", r.Needs
			f.Says = append(said.Say("At most % more can go on, by: ", said.Mass(math.Floor(best))), name...)
			if len(r.Needs) > 0 {
				f.Says = append(append(f.Says, said.Say(". What axle and ball leave takes ")...), r.Needs[0].Says...)
			}
		}
	}
	f.Says = append(f.Says, said.Piece{Text: "."})
	if r.Trailer.NoPlate && best >= 0 {
		f.Says = append(f.Says, said.Piece{Text: " The frame has no plate and may carry less."})
	} else if open && best >= 0 {
		f.Says = append(f.Says, said.Piece{Text: " Ratings not known yet may allow less."})
	}
	f.HasWork, f.Work = true, func() []finding.Step { return payloadSteps(r, all, x, l, best) }
	return p, f
}

// told reports whether the trailer's own rating is known, or there is none to
// know, and whether any essential rating is still open.
func told(r *rig.Rig, all []*link) (own, open bool) {
	own = r.Trailer.NoPlate || slices.ContainsFunc(all, func(k *link) bool { return k.id == "gross" && k.known() })
	open = slices.ContainsFunc(all, func(k *link) bool {
		return k.essential && !(k.known() && (k.alternative == nil || k.alternative.known()))
	})
	return own, open
}

// reading is how room takes figures that are not sure: as they are most likely; of an unclear rating
// the milder reading; or every guess at its heavy end.
type reading int

const (
	likely reading = iota
	lenient
	heavy
)

// left is what a rating leaves.
func (k *link) left(as reading) float64 {
	if as != heavy {
		return *k.limit - k.figure.Nominal
	}
	limit := *k.limit
	if k.least != nil {
		limit = *k.least
	}
	return limit - k.figure.High
}

// room is what may be added x behind the ball until a known rating is full;
// ruling is that rating.
func room(r *rig.Rig, all []*link, x float64, as reading) (best float64, ruling *link, known bool) {
	l := 0.0
	if r.Axle != nil {
		l = r.Axle.Nominal
	}
	best = math.Inf(1)
	take := func(k *link, room float64) {
		if room < best {
			best, ruling, known = room, k, true
		}
	}
	for _, k := range all {
		if !k.known() || k.kind != "" {
			continue
		}
		room := k.left(as)
		if a := k.alternative; a.known() {
			if other := a.left(as); as == lenient {
				room = max(room, other)
			} else {
				room = min(room, other)
			}
		}
		switch {
		case k.reads == norms.ReadsTotal || k.reads == norms.ReadsTrain:
			take(k, room)
		case k.reads == norms.ReadsWheels && l > 0 && x > 0:
			take(k, room*l/x/k.part())
		case k.reads == norms.ReadsSide && l > 0 && x > 0:
			take(k, room*2*l/x/k.part())
		case (k.reads == norms.ReadsBall || k.reads == norms.ReadsCar) && l > x:
			take(k, room*l/(l-x))
		case k.reads == norms.ReadsRear && l > x:
			take(
				k,
				room*l/(l-x)/rig.Lever(float64(r.Vehicle.Wheelbase.Value), float64(r.Vehicle.RearOverhang.Value)),
			)
		}
	}
	return best, ruling, known
}

func payloadSteps(r *rig.Rig, all []*link, x, l, best float64) []finding.Step {
	step := finding.Step{
		Symbol:  "p",
		Says:    said.Say("payload that may be added at x"),
		Formula: "p = min(G − Σm, (A − R_axle)·L/x, (S − R_ball)·L/(L − x))",
		Result:  finding.Exactly(quantity.KindMass, best),
		Terms: []finding.StepTerm{
			{
				Symbol:  "x",
				Says:    said.Say("middle of the deck, behind the ball"),
				Measure: finding.Exactly(quantity.KindLength, x),
				How:     "computed",
			},
			{
				Symbol:  "L",
				Says:    said.Say("{coupling} to axle"),
				Measure: finding.Exactly(quantity.KindLength, l),
				How:     "stated",
			},
		},
	}
	for _, k := range all {
		if !k.known() || k.kind != "" {
			continue
		}
		symbol := map[norms.Reads]string{norms.ReadsTotal: "G − Σm", norms.ReadsWheels: "A − R_axle", norms.ReadsBall: "S − R_ball", norms.ReadsTrain: "train − Σ",
			norms.ReadsSide: "side − R_side", norms.ReadsCar: "car − Σ", norms.ReadsRear: "rear − R_rear"}[k.reads]
		if symbol != "" {
			step.Terms = append(
				step.Terms,
				finding.StepTerm{
					Symbol:  symbol,
					Says:    k.name,
					Measure: finding.Exactly(quantity.KindMass, *k.limit-k.figure.Nominal),
					How:     "computed",
					Path:    k.path,
				},
			)
		}
	}
	return append(r.SupportSteps(), step)
}
