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

// brakes tells whether the rule set asks for brakes, on how many axles and of which kind, for a
// breakaway device and how many chains. The mass that each reads is the plate's where one is known
// and the laden trailer's where it is not.
func brakes(r *rig.Rig) []finding.Finding {
	f := lawful(r, CodeBrakes, "/brakes", said.Say("Brakes"), &r.Rules.BrakesSource)
	m := legalMass(r, r.Rules.BrakesRead)
	if m == nil {
		f.Outcome = finding.Unknown
		f.Needs = []finding.Need{grossNeed(r)}
		f.Says = said.Say("Whether brakes are needed is not known: enter the trailer's {gross}.")
		return []finding.Finding{f}
	}
	fitted := r.Trailer.Brakes != "" && r.Trailer.Brakes != plan.BrakesNone
	f.Figure = finding.Of(quantity.KindMass, *m)
	f.Limit = finding.Exactly(quantity.KindMass, r.Rules.BrakesAbove)
	if fitted {
		fittedBrakes(r, &f, m)
	} else {
		noBrakes(r, &f, m)
	}
	f.Says = append(f.Says, said.Piece{Text: " Check your local code."})
	out := []finding.Finding{f}
	if b, ok := breakaway(r, m, fitted); ok {
		out = append(out, b)
	}
	if c, ok := chains(r, fitted); ok {
		out = append(out, c)
	}
	return out
}

// lawful is a finding of what the rule set asks of the trailer.
func lawful(r *rig.Rig, code, field string, title said.Sentence, source *finding.Source) finding.Finding {
	return finding.Finding{
		Code: code, Stage: "trailer", Scope: r.Scope, Gate: finding.GateGo,
		Subject: "/trailers/" + r.Scope.Trailer + field, Title: title, Source: source,
	}
}

func grossNeed(r *rig.Rig) finding.Need {
	return finding.Need{
		Path: "/trailers/" + r.Scope.Trailer + "/label", Says: said.Say("trailer's {gross}"), Where: said.Say("Read the plate."),
	}
}

// noBrakes judges a trailer that has none, or of which nobody said.
func noBrakes(r *rig.Rig, f *finding.Finding, m *span) {
	rules, t := r.Rules, r.Trailer
	low, high := float64(rules.BrakesLow), float64(rules.BrakesHigh)
	mass := said.Mass(m.Nominal)
	need := func(says, where string) []finding.Need {
		return []finding.Need{{Path: f.Subject, Says: said.Say(says), Where: said.Say(where)}}
	}
	rough := func(says said.Sentence) {
		f.Outcome, f.Tight, f.Says, f.Needs = finding.Tight, finding.GuessTooRough, says, []finding.Need{grossNeed(r)}
	}
	switch {
	case quantity.Exceeds(m.Nominal, high) && t.Brakes == plan.BrakesNone:
		f.Outcome = finding.Fails
		f.Says = said.Say("% without brakes: they are asked for above %. Fit brakes or carry less.", mass, said.Mass(high))
	case quantity.Exceeds(m.Nominal, high):
		f.Outcome = finding.Unknown
		f.Says = said.Say("% needs brakes: does this trailer have any? Look behind a wheel and at the {coupling}.", mass)
		f.Needs = need("the trailer's brakes", "Look behind a wheel and at the {coupling}.")
	case quantity.Exceeds(m.Nominal, low):
		f.Outcome = finding.Unknown
		f.Says = said.Say("%: brakes are asked for above % to %, often %. Your state or province decides.",
			mass, said.Mass(low), said.Mass(high), said.Mass(float64(rules.BrakesAbove)))
		f.Needs = need("your state's figure for brakes", "Ask the vehicle office.")
	case quantity.Exceeds(m.High, low):
		rough(said.Say("%, but it may be %: brakes are asked for above %. Weigh it, or read the plate.",
			mass, said.Mass(m.High), said.Mass(low)))
	case plateless(r):
		rough(said.Say("It weighs % laden, and no brakes are asked for up to %; but what its plate permits counts: read it.",
			mass, said.Mass(low)))
	default:
		f.Outcome, f.Says = finding.Holds, said.Say("%: no brakes asked for up to %.", mass, said.Mass(low))
	}
}

// plateless reports whether what a plate permits counts, and none was read.
func plateless(r *rig.Rig) bool {
	return r.Rules.BrakesPlated && r.Trailer.Label == nil &&
		(r.Rules.BrakesRead != norms.ReadsWheels || r.Trailer.OnWheels == nil)
}

// fittedBrakes judges brakes that are there: whether their kind is enough for the mass, and whether they are on
// as many axles as that asks for. What fails comes before what is not known, and that before what may be.
func fittedBrakes(r *rig.Rig, f *finding.Finding, m *span) {
	rules, t, tp := r.Rules, r.Trailer, "/trailers/"+r.Scope.Trailer
	f.Outcome = finding.Holds
	f.Says = said.Say("Brakes are fitted. They are asked for above %.", said.Mass(float64(rules.BrakesAbove)))
	worst := func(o finding.Outcome, limit float64, path string, says said.Sentence, needs ...finding.Need) {
		if o.Rank() >= f.Outcome.Rank() {
			return
		}
		f.Outcome, f.Tight, f.Says, f.Needs, f.Subject = o, "", says, needs, path
		f.Limit = finding.Exactly(quantity.KindMass, limit)
		if o == finding.Tight {
			f.Tight = finding.GuessTooRough
		}
	}
	// over is how a trailer fares that has less than is asked for above a limit.
	over := func(limit float64) finding.Outcome {
		if quantity.Exceeds(m.Nominal, limit) {
			return finding.Fails
		}
		return finding.Tight
	}
	if to := rules.OverrunTo; to != nil && quantity.Exceeds(m.High, float64(*to)) {
		limit := float64(*to)
		switch t.Brakes {
		case plan.BrakesOverrun:
			worst(over(limit), limit, tp+"/brakes", said.Say(
				"%: overrun brakes are enough up to %. Fit brakes that the driver works, or carry less.",
				said.Mass(m.High), said.Mass(limit)))
		case plan.BrakesFitted:
			worst(finding.Unknown, limit, tp+"/brakes", said.Say(
				"%: overrun brakes are enough up to %. What kind are these?", said.Mass(m.High), said.Mass(limit)),
				finding.Need{Path: tp + "/brakes", Says: said.Say("the kind of brakes"),
					Where: said.Say("Look at the {coupling}: overrun brakes slide in it, electric ones have a wire to each wheel.")})
		}
	}
	n := t.AxleCount()
	if all := rules.AllBrakedAbove; all != nil && n > 1 && quantity.Exceeds(m.High, float64(*all)) {
		limit := float64(*all)
		switch b := t.BrakedAxles; {
		case b == nil:
			worst(finding.Unknown, limit, tp+"/brakedAxles", said.Say(
				"%: above % every wheel must be braked. How many of the % axles have brakes?",
				said.Mass(m.High), said.Mass(limit), said.Count(n)),
				finding.Need{Path: tp + "/brakedAxles", Says: said.Say("how many axles have brakes"),
					Where: said.Say("Look behind a wheel of each axle.")})
		case *b < n:
			worst(over(limit), limit, tp+"/brakedAxles", said.Say(
				"%: above % every wheel must be braked, and only % of % axles are. Fit brakes to the others or carry less.",
				said.Mass(m.High), said.Mass(limit), said.Count(*b), said.Count(n)))
		}
	}
	if !plateless(r) {
		return
	}
	var limit *quantity.Mass // up to which they are enough, for all that is known of them
	switch {
	case rules.AllBrakedAbove != nil && n > 1 && (t.BrakedAxles == nil || *t.BrakedAxles < n):
		limit = rules.AllBrakedAbove
	case rules.OverrunTo != nil && t.Brakes != plan.BrakesElectric:
		limit = rules.OverrunTo
	default:
		return
	}
	worst(finding.Tight, float64(*limit), tp+"/brakes", said.Say(
		"It weighs % laden, and these brakes are enough up to %; but what its plate permits counts: read it.",
		said.Mass(m.High), said.Mass(float64(*limit))), grossNeed(r))
}

// breakaway judges the device that brakes a trailer that comes loose; ok is false where none is asked for.
func breakaway(r *rig.Rig, m *span, fitted bool) (f finding.Finding, ok bool) {
	f = lawful(r, CodeBreakaway, "/breakaway", said.Say("{Breakaway}"), &r.Rules.LinkSource)
	needed, maybe := fitted, fitted
	if above := r.Rules.BreakawayAbove; above != nil {
		needed, maybe = quantity.Exceeds(m.Nominal, float64(*above)), quantity.Exceeds(m.High, float64(*above))
	}
	has := r.Trailer.Breakaway
	switch {
	case !maybe:
		return f, false
	case has == nil:
		f.Outcome, f.Says = finding.Unknown, said.Say("A {breakaway} is asked for: is one fitted?")
		f.Needs = []finding.Need{{Path: f.Subject, Says: said.Say("the {breakaway}"), Where: said.Say("Look at the {coupling}.")}}
	case *has:
		f.Outcome, f.Says = finding.Holds, said.Say("The {breakaway} is fitted.")
	case needed:
		f.Outcome, f.Says = finding.Fails, said.Say("A {breakaway} is asked for and none is fitted. Fit one.")
	default:
		f.Outcome, f.Tight = finding.Tight, finding.GuessTooRough
		f.Says = said.Say("It may weigh %: then a {breakaway} is asked for, and none is fitted.", said.Mass(m.High))
	}
	return f, true
}

// chains judges how many there are against what the whole laden trailer asks for; ok is false where none is.
func chains(r *rig.Rig, fitted bool) (f finding.Finding, ok bool) {
	rules := r.Rules
	f = lawful(r, CodeChains, "/chains", said.Say("{Chains}"), &rules.LinkSource)
	m := legalMass(r, norms.ReadsTotal)
	want := rules.ChainsNeeded
	most := want // of what it may weigh
	if above := rules.TwoChainsAbove; above != nil && m != nil {
		if quantity.Exceeds(m.Nominal, float64(*above)) {
			want = 2
		}
		if quantity.Exceeds(m.High, float64(*above)) {
			most = 2
		}
	}
	if rules.ChainsUnbraked && fitted {
		most = 0 // the breakaway cable takes their place
	}
	has := r.Trailer.Chains
	switch {
	case most == 0:
		return f, false
	case has == nil:
		f.Outcome, f.Says = finding.Unknown, said.Say("{Chains}: % asked for. How many are there?", said.Count(want))
		f.Needs = []finding.Need{{Path: f.Subject, Says: said.Say("{chains}"), Where: said.Say("Look at the {coupling}.")}}
	case *has < want:
		f.Outcome = finding.Fails
		f.Says = said.Say("{Chains}: % asked for, % fitted. Fit what is missing.", said.Count(want), said.Count(*has))
	case *has < most:
		f.Outcome, f.Tight = finding.Tight, finding.GuessTooRough
		f.Says = said.Say("{Chains}: % fitted, % asked for. It may weigh %: then % are.",
			said.Count(*has), said.Count(want), said.Mass(m.High), said.Count(most))
	case rules.TwoChainsAbove != nil && m == nil && *has < 2:
		f.Outcome, f.Needs = finding.Unknown, []finding.Need{grossNeed(r)}
		f.Says = said.Say("{Chains}: % fitted. Above % two are asked for: enter the trailer's {gross}.",
			said.Count(*has), said.Mass(float64(*rules.TwoChainsAbove)))
	default:
		f.Outcome = finding.Holds
		f.Says = said.Say("{Chains}: % fitted, % asked for.", said.Count(*has), said.Count(want))
	}
	return f, true
}

// legalMass is the mass that the rules on brakes and chains read: the plate's gross where it is known as such,
// the load's and the trailer's own together where the label counts the load alone; else what the rig
// weighs, or what its axles bear, at most the higher reading of a label that is unclear.
func legalMass(r *rig.Rig, reads norms.Reads) *span {
	t := r.Trailer
	exactly := func(v quantity.Mass) *span { return &span{Nominal: float64(v), Low: float64(v), High: float64(v)} }
	if reads == norms.ReadsWheels && t.OnWheels != nil {
		return exactly(*t.OnWheels)
	}
	var permissible *span // with the empty trailer, where the label does not count that, or may not
	if l := t.Label; l != nil {
		if l.Counts == plan.CountsGross {
			return exactly(l.Value)
		}
		if permissible = plus(exactly(l.Value), r.EmptyMass()); permissible != nil && l.Counts == plan.CountsPayload {
			return permissible
		}
	}
	laden := r.Total()
	if reads == norms.ReadsWheels && r.Bears != nil {
		laden = &r.Bears.OnAxle
	}
	if laden == nil || permissible == nil {
		return laden
	}
	return &span{Nominal: laden.Nominal, Low: laden.Low, High: math.Max(laden.High, permissible.High)}
}

// ballSize holds the ball against the coupling: another diameter fails, 50 mm
// and 2 in are not the same. Where nobody read either it is asked where balls of several sizes
// are in use.
func ballSize(r *rig.Rig) (finding.Finding, bool) {
	if r.Vehicle == nil {
		return finding.Finding{}, false
	}
	f := finding.Finding{
		Code:    CodeBallSize,
		Stage:   "vehicle",
		Scope:   r.Scope,
		Gate:    finding.GateGo,
		Subject: r.VehiclePath("ballSize"),
		Title:   said.Say("Ball size"),
		Outcome: finding.Holds,
		Source:  &norms.BallSource,
	}
	if r.Vehicle.BallSize == nil {
		f.Needs = append(f.Needs, finding.Need{
			Path: f.Subject, Says: said.Say("the ball's size"), Where: said.Say("It is stamped on top of the ball."),
		})
	}
	if r.Trailer.CouplingSize == nil {
		f.Needs = append(f.Needs, finding.Need{
			Path: "/trailers/" + r.Scope.Trailer + "/couplingSize", Says: said.Say("the ball that the {coupling} is made for"),
			Where: said.Say("It is stamped on the {coupling}."),
		})
	}
	if n := len(f.Needs); n > 0 {
		f.Outcome, f.Says = finding.Unknown, slices.Concat(
			said.Say("Whether ball and {coupling} match is not known: enter "), finding.Takes(f.Needs), said.Say("."))
		return f, n == 1 || r.Rules.BallsDiffer
	}
	ball, cup := float64(*r.Vehicle.BallSize), float64(*r.Trailer.CouplingSize)
	f.Figure, f.Limit = finding.Exactly(quantity.KindLength, ball), finding.Exactly(quantity.KindLength, cup)
	f.Says = said.Say("Ball and {coupling} are both %.", norms.BallName(*r.Vehicle.BallSize))
	if math.Abs(ball-cup) > 0.0003 {
		f.Outcome = finding.Fails
		f.Says = said.Say(
			"The ball is % and the {coupling} is for %: they do not match. A ball too small lets go, one too large does not seat.",
			norms.BallName(*r.Vehicle.BallSize),
			norms.BallName(*r.Trailer.CouplingSize),
		)
	}
	return f, true
}
