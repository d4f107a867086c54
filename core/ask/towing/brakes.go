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

// brakes tells whether the rule set asks for brakes, a breakaway device and
// how many chains. The mass that it reads is the plate's where one is known
// and the laden trailer's where it is not.
func brakes(r *rig.Rig) []finding.Finding {
	rules, t, tp := r.Rules, r.Trailer, "/trailers/"+r.Scope.Trailer
	check := said.Piece{Text: " Check your local code."}
	base := func(code string, field string, title said.Sentence, source *finding.Source) finding.Finding {
		return finding.Finding{
			Code:    code,
			Stage:   "trailer",
			Scope:   r.Scope,
			Gate:    finding.GateGo,
			Subject: tp + field,
			Title:   title,
			Source:  source,
		}
	}
	f := base(CodeBrakes, "/brakes", said.Say("Brakes"), &rules.BrakesSource)
	m := legalMass(r)
	if m == nil {
		f.Outcome = finding.Unknown
		f.Needs = []finding.Need{
			{Path: tp + "/label", Says: said.Say("trailer's {gross}"), Where: said.Say("Read the plate.")},
		}
		f.Says = said.Say("Whether brakes are needed is not known: it takes the trailer's {gross}.")
		return []finding.Finding{f}
	}
	f.Figure, f.Limit = finding.Of(
		quantity.KindMass,
		*m,
	), finding.Exactly(
		quantity.KindMass,
		rules.BrakesAbove,
	)
	low, high := float64(rules.BrakesLow), float64(rules.BrakesHigh)
	over := quantity.Exceeds(m.Nominal, high)
	differs := !over && quantity.Exceeds(m.Nominal, low)
	mass, limit := said.Mass(m.Nominal), said.Mass(float64(rules.BrakesAbove))
	fitted := t.Brakes != "" && t.Brakes != plan.BrakesNone
	switch {
	case over && t.Brakes == plan.BrakesNone:
		f.Outcome, f.Says = finding.Fails, said.Say(
			"% without brakes: they are asked for above %. Fit brakes or carry less.",
			mass,
			said.Mass(high),
		)
	case over && t.Brakes == "":
		f.Outcome, f.Says = finding.Unknown, said.Say(
			"% needs brakes: has this trailer any? Look behind a wheel and at the {coupling}.",
			mass,
		)
		f.Needs = []finding.Need{
			{
				Path:  tp + "/brakes",
				Says:  said.Say("the trailer's brakes"),
				Where: said.Say("Look behind a wheel and at the {coupling}."),
			},
		}
	case differs && !fitted:
		f.Outcome = finding.Unknown
		f.Says = said.Say(
			"%: brakes are asked for above % to %, often %. Your state or province decides.",
			mass,
			said.Mass(low),
			said.Mass(high),
			limit,
		)
		f.Needs = []finding.Need{
			{
				Path:  tp + "/brakes",
				Says:  said.Say("your state's figure for brakes"),
				Where: said.Say("Ask the vehicle office."),
			},
		}
	case fitted:
		f.Outcome, f.Says = finding.Holds, said.Say("Brakes are fitted. They are asked for above %.", limit)
	case quantity.Exceeds(m.High, low):
		f.Outcome, f.Tight = finding.Tight, finding.GuessTooRough
		f.Says = said.Say(
			"%, but it may be %: brakes are asked for above %. Weigh it, or read the plate.",
			mass,
			said.Mass(m.High),
			said.Mass(low),
		)
		f.Needs = []finding.Need{
			{Path: tp + "/label", Says: said.Say("trailer's {gross}"), Where: said.Say("Read the plate.")},
		}
	case rules.BrakesPlated && t.Label == nil && (rules.BrakesRead != norms.ReadsWheels || t.OnWheels == nil):
		f.Outcome, f.Tight = finding.Tight, finding.GuessTooRough
		f.Says = said.Say(
			"% as it is laden, and no brakes are asked for up to %; but what its plate permits counts: read it.",
			mass,
			said.Mass(low),
		)
		f.Needs = []finding.Need{
			{Path: tp + "/label", Says: said.Say("trailer's {gross}"), Where: said.Say("Read the plate.")},
		}
	default:
		f.Outcome, f.Says = finding.Holds, said.Say("%: no brakes asked for up to %.", mass, said.Mass(low))
	}
	f.Says = append(f.Says, check)
	out := []finding.Finding{f}

	b := base(CodeBreakaway, "/breakaway", said.Say("{Breakaway}"), &rules.LinkSource)
	needed, maybe := fitted, fitted
	if above := rules.BreakawayAbove; above != nil {
		needed, maybe = quantity.Exceeds(m.Nominal, float64(*above)), quantity.Exceeds(m.High, float64(*above))
	}
	switch {
	case !maybe:
	case t.Breakaway == nil:
		b.Outcome, b.Says = finding.Unknown, said.Say("A {breakaway} is asked for: is one fitted?")
		b.Needs = []finding.Need{
			{
				Path:  tp + "/breakaway",
				Says:  said.Say("the {breakaway}"),
				Where: said.Say("Look at the {coupling}."),
			},
		}
		out = append(out, b)
	case !*t.Breakaway && !needed:
		b.Outcome, b.Tight = finding.Tight, finding.GuessTooRough
		b.Says = said.Say("It may weigh %: then a {breakaway} is asked for, and none is fitted.", said.Mass(m.High))
		out = append(out, b)
	case !*t.Breakaway:
		b.Outcome, b.Says = finding.Fails, said.Say("A {breakaway} is asked for and none is fitted. Fit one.")
		out = append(out, b)
	default:
		b.Outcome, b.Says = finding.Holds, said.Say("The {breakaway} is fitted.")
		out = append(out, b)
	}

	c := base(CodeChains, "/chains", said.Say("{Chains}"), &rules.LinkSource)
	want := rules.ChainsNeeded
	most := want // of what it may weigh
	if above := rules.TwoChainsAbove; above != nil {
		if quantity.Exceeds(m.Nominal, float64(*above)) {
			want = 2
		}
		if quantity.Exceeds(m.High, float64(*above)) {
			most = 2
		}
	}
	if rules.ChainsUnbraked && fitted {
		want, most = 0, 0 // the breakaway cable takes its place
	}
	switch {
	case most == 0:
		return out
	case t.Chains == nil:
		c.Outcome, c.Says = finding.Unknown, said.Say(
			"{Chains}: % asked for. How many are there?",
			said.Count(want),
		)
		c.Needs = []finding.Need{
			{Path: tp + "/chains", Says: said.Say("{chains}"), Where: said.Say("Look at the {coupling}.")},
		}
	case *t.Chains < want:
		c.Outcome, c.Says = finding.Fails, said.Say(
			"{Chains}: % asked for, % fitted.",
			said.Count(want),
			said.Count(*t.Chains),
		)
	default:
		c.Outcome, c.Says = finding.Holds, said.Say(
			"{Chains}: % fitted, % asked for.",
			said.Count(*t.Chains),
			said.Count(want),
		)
		if *t.Chains < most {
			c.Outcome, c.Tight = finding.Tight, finding.GuessTooRough
			c.Says = append(c.Says, said.Say(" It may weigh %: then % are.", said.Mass(m.High), said.Count(most))...)
		}
	}
	return append(out, c)
}

// legalMass is the mass that the rules on brakes read: the plate's gross where it is known as such,
// the load's and the trailer's own together where the label counts the load alone; else what the rig
// weighs, or what its axles bear, at most the higher reading of a label that is unclear.
func legalMass(r *rig.Rig) *span {
	t := r.Trailer
	exactly := func(v quantity.Mass) *span { return &span{Nominal: float64(v), Low: float64(v), High: float64(v)} }
	if r.Rules.BrakesRead == norms.ReadsWheels && t.OnWheels != nil {
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
	if r.Rules.BrakesRead == norms.ReadsWheels && r.Bears != nil {
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
			said.Say("Whether ball and {coupling} match is not known: it takes "), finding.Takes(f.Needs), said.Say("."))
		return f, n == 1 || r.Rules.BallsDiffer
	}
	ball, cup := float64(*r.Vehicle.BallSize), float64(*r.Trailer.CouplingSize)
	f.Figure, f.Limit = finding.Exactly(quantity.KindLength, ball), finding.Exactly(quantity.KindLength, cup)
	f.Says = said.Say("Ball and {coupling} are both %.", norms.BallName(*r.Vehicle.BallSize))
	if math.Abs(ball-cup) > 0.0003 {
		f.Outcome = finding.Fails
		f.Says = said.Say(
			"Ball %, {coupling} for %: they do not match. A ball too small lets go, one too large does not seat.",
			norms.BallName(*r.Vehicle.BallSize),
			norms.BallName(*r.Trailer.CouplingSize),
		)
	}
	return f, true
}
