package tip

import (
	"errors"
	"math"

	"zygonos/core/facts/norms"
	"zygonos/core/lang/finding"
	"zygonos/core/lang/quantity"
	"zygonos/core/lang/said"
	"zygonos/core/plan"
	"zygonos/core/rig"
	"zygonos/core/sums/tipping"
)

// Codes of the findings made here.
const (
	CodeGear   = "tip.gear"
	CodeOver   = "tip.over"
	CodePull   = "tip.pull"
	CodeWinch  = "tip.winch"
	CodeCrank  = "tip.crank"
	CodeLine   = "tip.line"
	CodeStroke = "tip.stroke"
	CodeSlide  = "tip.slide"
	CodeGate   = "tip.gate"
	CodeTail   = "tip.tail"
	CodeBall   = "tip.ball"
	CodeSide   = "tip.side"
	CodeProp   = "tip.prop"
	CodeTime   = "tip.time"
	CodeMast   = "tip.mast"
	CodeStrut  = "tip.strut"
	CodeHinge  = "tip.hinge"
	CodeReach  = "tip.reach"
	CodeAtHand = "tip.hand"
	CodeSpread = "tip.spread"
)

// errSticks is a bed that no pull moves on.
var errSticks = errors.New("line, pick-up point and hinge are in one line")

// Figures of practice (confidence C).
const (
	handShort  = 250.0 // N that one pushes for a moment
	handSteady = 150.0 // N at a crank
	lumpsWide  = 2.5   // times a lump that the gate opens
	tailLeast  = 0.10  // m over the ground
	sinks      = 0.05  // m that a wheel sinks in on one side
	slopeUsual = 0.05  // of the ground, where nothing is stated
	topples    = 1.5   // reserve against toppling
	sideways   = 0.15  // of the deck's width that a load sticks to one side
	halfLife   = 2.5   // years in the sun that take half of a strap
	pumpLoss   = 0.85  // of what a power pack's flow gives
)

func (s *Setup) base(code, title, field string) finding.Finding {
	return base(s.r, code, title, field)
}

func base(r *rig.Rig, code, title, field string) finding.Finding {
	return finding.Finding{
		Code: code, Stage: Stage, Scope: r.Scope, Gate: finding.GateGo, Title: said.Say(title), Outcome: finding.Holds,
		Subject: "/trailers/" + r.Scope.Trailer + "/tipping/" + field,
		Source:  norms.Practice("a bed by virtual work, sheaves of 0.96 or 0.90"),
	}
}

func need(f finding.Finding, path, says, where string) finding.Finding {
	f.Outcome, f.Figure, f.Limit = finding.Unknown, nil, nil
	f.Says = said.Say("Not known: " + says + ".")
	f.Needs = []finding.Need{{Path: path, Says: said.Say(says), Where: said.Say(where)}}
	return f
}

// Check judges a bed that tips.
func Check(r *rig.Rig) []finding.Finding {
	t := r.Trailer.Tipping
	if t == nil {
		return nil
	}
	s := New(r)
	if s == nil {
		return []finding.Finding{missing(r, t)}
	}
	if s.stays {
		f := s.base(CodeGear, "How it tips", "by")
		f.Says = said.Say(
			"Nothing on the bed can be poured or tipped: it stays down on this outing, latched on both sides.",
		)
		return []finding.Finding{f, s.prop()}
	}
	gear := s.works()
	out := []finding.Finding{gear}
	if gear.Outcome == finding.Fails {
		return append(out, s.prop())
	}
	out = append(out, s.pull()...)
	for _, ask := range []func() (finding.Finding, bool){
		s.stroke, s.strut, s.hinge, s.mast, s.reach, s.atHand, s.slide, s.gate, s.spread, s.low, s.balance, s.side, s.time,
	} {
		if f, is := ask(); is {
			out = append(out, f)
		}
	}
	return append(out, s.prop())
}

// missing says what keeps a bed from being swept.
func missing(r *rig.Rig, t *plan.Tipping) finding.Finding {
	f := base(r, CodeGear, "How it tips", "by")
	root := "/trailers/" + r.Scope.Trailer
	switch {
	case t.By == "":
		return need(f, root+"/tipping/by", "what raises the bed", "A winch over a mast, a cylinder, or hands.")
	case len(t.Pieces) > 0 && lacks(t) != "":
		return need(
			f,
			root+"/tipping/pieces/"+lacks(t)+"/mass",
			"what each piece of the bed weighs",
			"On a bathroom scale, or twice what one end shows.",
		)
	case t.Mass == nil && len(t.Pieces) == 0:
		return need(
			f,
			root+"/tipping/mass",
			"the weight of the bed itself",
			"Lift its front on a scale: twice what it shows is close.",
		)
	case t.Stop == nil:
		return need(
			f,
			root+"/tipping/stop",
			"the angle at which it stops",
			"The angle of the raised bed by a level, or what chain or cylinder allow.",
		)
	case r.Trailer.DeckLength == nil:
		return need(f, root+"/deckLength", "the length of the deck", "Tape it.")
	}
	return need(
		f,
		root+"/couplingToDeck",
		"distance from {coupling} to deck",
		"Tape from the ball's middle to the front edge of the deck.",
	)
}

// lacks is the first piece of a bed without a weight.
func lacks(t *plan.Tipping) string {
	for _, id := range plan.Ordered(t.Pieces, func(p plan.TipPiece) int { return p.Order }) {
		if p := t.Pieces[id]; p.Mass == nil || !(p.Mass.Value > 0) {
			return id
		}
	}
	return ""
}

// over is the least angle at which it may run over by itself, by what is not known of weights and places.
func (s *Setup) over() (angle float64, runs bool) {
	angle = math.Inf(1)
	for _, ws := range [][]tipping.Weight{s.heavy, s.likely, s.behind} {
		if a, ok := s.gear.Over(ws); ok {
			angle, runs = math.Min(angle, a), true
		}
	}
	return angle, runs
}

// works says whether the bed comes up to its stop at all, and what that takes at most.
func (s *Setup) works() finding.Finding {
	f := s.base(CodeGear, "How it tips", "hinge")
	fails := func(field string, says said.Sentence) finding.Finding {
		f.Outcome, f.Says = finding.Fails, says
		f.Subject = "/trailers/" + s.r.Scope.Trailer + "/tipping/" + field
		return f
	}
	over, runs := s.over()
	switch {
	case runs && over <= 0:
		return fails("hinge/back", said.Say(
			"The hinge is in front of the common centre of bed and load: it runs over at once. Move the hinge back, or the load forward.",
		))
	case len(s.Swept) == 0 && errors.Is(s.err, tipping.ErrReach):
		return fails(
			"top/back",
			said.Say("With the bed down, mast, strap or lever do not reach each other. Check their positions."),
		)
	case len(s.Swept) == 0 && errors.Is(s.err, tipping.ErrPlace):
		return fails("pick/back", said.Say("Two points of the gear are in the same place. Move one of them."))
	case len(s.Swept) == 0 && s.pushes():
		return fails(
			"foot/up",
			said.Say(
				"With the bed down the cylinder pushes past the hinge and does not lift. Put its foot lower, or its head farther from the hinge.",
			),
		)
	case len(s.Swept) == 0:
		return fails(
			"top/up",
			said.Say(
				"With the bed down the line pulls through the hinge or below it and does not lift. Raise the top of the mast.",
			),
		)
	case s.err != nil:
		at := s.Swept[len(s.Swept)-1].Angle
		way := "Raise the top of the mast, pick the bed up farther back, or stop it sooner."
		if s.pushes() {
			way = "Move the foot of the cylinder, or stop it sooner."
		}
		f.Figure, f.Limit = finding.Exactly(quantity.KindAngle, at), finding.Exactly(quantity.KindAngle, s.stop)
		return fails(
			"stop",
			said.Say(
				"The bed comes up to % and no farther: there "+sticking(s)+". "+way,
				said.Of(quantity.KindAngle, at),
			),
		)
	}
	if runs && over < s.stop-1e-9 && !s.t.Chain {
		g := s.base(CodeOver, "Running over", "chain")
		g.Outcome = finding.Fails
		g.Figure, g.Limit = finding.Exactly(quantity.KindAngle, over), finding.Exactly(quantity.KindAngle, s.stop)
		g.Says = said.Say(
			"At % bed and load are over the hinge and run on by themselves, before the stop at %. Fit a limit chain that holds them, or stop sooner.",
			said.Of(quantity.KindAngle, over),
			said.Of(quantity.KindAngle, s.stop),
		)
		return g
	}
	pull, at := s.most()
	f.Figure = finding.Exactly(quantity.KindMass, pull/tipping.Gravity)
	f.Says = said.Say("It comes up to %. The most it takes is at %: % "+s.borne()+".",
		said.Of(quantity.KindAngle, s.stop), said.Of(quantity.KindAngle, at), said.Mass(pull/tipping.Gravity))
	return f
}

// borne is what bears the pull.
func (s *Setup) borne() string {
	switch {
	case s.pushes():
		return "on the cylinder"
	case s.winds():
		return "in the line at the bed"
	}
	return "square to the bed, by hand"
}

func sticking(s *Setup) string {
	if errors.Is(s.err, errSticks) {
		return "what lifts it points through the hinge"
	}
	return "mast, strap or lever are at their end"
}
