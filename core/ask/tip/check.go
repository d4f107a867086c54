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
)

// errSticks is a bed that no pull moves on.
var errSticks = errors.New("line, pick and hinge stand in one line")

// Figures of practice (confidence C).
const (
	handShort  = 250.0 // N that one pushes for a moment
	handSteady = 150.0 // N at a crank
	crankLoss  = 0.8   // of a hand winch
	lumpsWide  = 2.5   // times a lump that the gate opens
	tailLeast  = 0.10  // m over the ground
	sinks      = 0.05  // m that a wheel sinks in on one side
	slopeUsual = 0.05  // of the ground, where nothing is told
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
			"Nothing that is poured or piled is on the bed: it stays down on this outing, latched on both sides.",
		)
		return []finding.Finding{f, s.prop()}
	}
	gear := s.works()
	out := []finding.Finding{gear}
	if gear.Outcome == finding.Fails {
		return append(out, s.prop())
	}
	out = append(out, s.pull()...)
	for _, ask := range []func() (finding.Finding, bool){s.stroke, s.mast, s.slide, s.gate, s.low, s.balance, s.side, s.time} {
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
		return need(f, root+"/tipping/by", "what raises the bed", "A winch over a mast, a cylinder, hands.")
	case t.Mass == nil:
		return need(
			f,
			root+"/tipping/mass",
			"the weight of the bed itself",
			"Lift its front on a scale: twice what that shows is near.",
		)
	case t.Stop == nil:
		return need(
			f,
			root+"/tipping/stop",
			"the angle at which it stops",
			"A level's angle on the raised bed, or what chain or cylinder leave.",
		)
	case r.Trailer.DeckLength == nil:
		return need(f, root+"/deckLength", "the length of the deck", "Tape it.")
	}
	return need(
		f,
		root+"/couplingToDeck",
		"distance from coupling to deck",
		"Tape from the ball's middle to the front edge of the deck.",
	)
}

// works says whether the bed comes up to its stop at all, and what that takes at most.
func (s *Setup) works() finding.Finding {
	f := s.base(CodeGear, "How it tips", "hinge")
	fails := func(field string, says said.Sentence) finding.Finding {
		f.Outcome, f.Says = finding.Fails, says
		f.Subject = "/trailers/" + s.r.Scope.Trailer + "/tipping/" + field
		return f
	}
	over, runs := s.gear.Over(s.heavy)
	switch {
	case runs && over <= 0:
		return fails("hinge/back", said.Say(
			"The hinge stands before the common centre of bed and load: it runs over at once. Move the hinge to the rear, or the load forward.",
		))
	case len(s.Swept) == 0 && errors.Is(s.err, tipping.ErrReach):
		return fails(
			"top/back",
			said.Say("Mast, strap or lever do not reach each other with the bed down. Check their places."),
		)
	case len(s.Swept) == 0 && errors.Is(s.err, tipping.ErrPlace):
		return fails("pick/back", said.Say("Two places of the gear are one. Move one of them."))
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
				"With the bed down the line pulls through the hinge or under it and does not lift. Raise the mast's top.",
			),
		)
	case s.err != nil:
		at := s.Swept[len(s.Swept)-1].Angle
		way := "Raise the mast's top, pick the bed up farther to the rear, or stop it before."
		if s.pushes() {
			way = "Move the cylinder's foot, or stop it before."
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
			"At % bed and load stand over the hinge and run on by themselves, before the stop at %. A limit chain that holds them, or stop before.",
			said.Of(quantity.KindAngle, over),
			said.Of(quantity.KindAngle, s.stop),
		)
		return g
	}
	pull, at := s.most()
	f.Figure = finding.Exactly(quantity.KindMass, pull/tipping.Gravity)
	f.Says = said.Say("It comes up to %. Most is taken at %: % "+s.borne()+".",
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

// pull holds what it takes against what there is.
func (s *Setup) pull() (out []finding.Finding) {
	n, at := s.most()
	root := "/trailers/" + s.r.Scope.Trailer + "/tipping/"
	switch {
	case s.winds():
		out = append(out, s.winch(n, at, root)...)
	case s.pushes():
		f := s.base(CodePull, "Cylinder and pressure", "pressure")
		switch {
		case s.t.Bore == nil:
			return append(
				out,
				need(f, root+"bore", "the bore of the cylinder", "On its label; the piston's, not the rod's."),
			)
		case s.t.Pressure == nil:
			return append(
				out,
				need(
					f,
					root+"pressure",
					"the pressure that the pack gives",
					"On its plate: its relief valve's setting.",
				),
			)
		}
		area := math.Pi / 4 * float64(*s.t.Bore) * float64(*s.t.Bore)
		out = append(out, s.valve(root))
		f.AtMost(quantity.KindPressure, n/area, float64(*s.t.Pressure))
		f.Says = said.Say("At % the cylinder takes %, of the pack's %.", said.Of(quantity.KindAngle, at),
			said.Of(quantity.KindPressure, n/area), said.Of(quantity.KindPressure, float64(*s.t.Pressure)))
		if f.Outcome == finding.Fails {
			f.Says = append(f.Says, said.Say(" A larger bore, its head farther from the hinge, or less load.")...)
		}
		out = append(out, s.sure(f, n/area))
	default:
		f := s.base(CodePull, "By hand", "pick/back")
		f.AtMost(quantity.KindMass, n/tipping.Gravity, handShort/tipping.Gravity)
		f.Says = said.Say(
			"At % it takes % square to the bed; % is what one pushes for a moment.",
			said.Of(quantity.KindAngle, at),
			said.Mass(n/tipping.Gravity),
			said.Mass(handShort/tipping.Gravity),
		)
		out = append(out, s.sure(f, n/tipping.Gravity))
	}
	return out
}

// sure makes a finding that fails by the guesses alone tight.
func (s *Setup) sure(f finding.Finding, most float64) finding.Finding {
	if f.Outcome != finding.Fails || f.Limit == nil || !(most > 0) {
		return f
	}
	n, _ := s.most()
	least := 0.0
	for i := range s.Swept {
		if h, err := s.gear.Hold(s.likely, s.Swept[i].Angle); err == nil && h.Pull > least {
			least = h.Pull
		}
	}
	if n > 0 && f.Figure.Value*least/n <= f.Limit.Value {
		f.Outcome, f.Tight = finding.Tight, finding.GuessTooRough
		f.Says = append(f.Says, said.Say(" That is with the guessed weights at their most: weigh them.")...)
	}
	return f
}

// winch judges winch, line and crank.
func (s *Setup) winch(n, at float64, root string) (out []finding.Finding) {
	drum := s.onDrum(n)
	f := s.base(CodePull, "Winch and line", "winchLifts")
	if s.t.WinchLifts == nil {
		f = need(
			f,
			root+"winchLifts",
			"what the winch is rated to lift",
			"On its plate. A rating for rolling loads is none for lifting.",
		)
		f.Says = said.Say(
			"It takes % on the drum, at %. What is the winch rated to lift?",
			said.Mass(drum),
			said.Of(quantity.KindAngle, at),
		)
	} else {
		lifts := float64(*s.t.WinchLifts) * s.layer()
		f.AtMost(quantity.KindMass, drum, lifts)
		f.Says = said.Say("It takes % on the drum, at %; on its last layer the winch lifts %.",
			said.Mass(drum), said.Of(quantity.KindAngle, at), said.Mass(lifts))
		if f.Outcome == finding.Fails {
			f.Says = append(f.Says, said.Say(" A part more in the tackle, a higher mast, a stronger winch, or less load.")...)
		}
		f = s.sure(f, drum)
	}
	out = append(out, f)
	g := s.base(CodeWinch, "A winch that may lift", "lifting")
	switch {
	case s.t.Lifting == nil:
		g = need(
			g,
			root+"lifting",
			"whether the winch is rated for lifting",
			"Its leaflet says lifting, or pulling alone.",
		)
	case !*s.t.Lifting:
		g.Outcome = finding.Fails
		g.Says = said.Say(
			"The winch is rated for pulling loads that roll, not for lifting: a bed that comes down by itself is a lifted load.",
		)
	case s.t.Brake == nil:
		g = need(
			g,
			root+"brake",
			"whether the winch holds by itself",
			"Let the crank go, or the switch, with a load on: the bed must stay.",
		)
	case !*s.t.Brake:
		g.Outcome = finding.Fails
		g.Says = said.Say("The winch does not hold by itself: let go, the bed falls. It takes a load brake.")
	default:
		g.Says = said.Say("The winch is rated for lifting and holds by itself.")
	}
	out = append(out, g)
	if s.t.LineMax == nil {
		out = append(
			out,
			need(s.base(CodeLine, "Line or strap", "lineMax"), root+"lineMax", "what the line or strap may bear",
				"On its label, as a working load; of a bare rope a fifth of what it breaks at."),
		)
	} else {
		h := s.base(CodeLine, "Line or strap", "lineMax")
		limit := float64(*s.t.LineMax)
		if s.t.Strap && s.t.InTheSun != nil {
			limit *= math.Pow(0.5, *s.t.InTheSun/halfLife)
		}
		h.AtMost(quantity.KindMass, drum, limit)
		h.Says = said.Say("% in the line, of %.", said.Mass(drum), said.Mass(limit))
		if s.t.Strap && s.t.InTheSun != nil {
			h.Says = append(h.Says, said.Say(" The sun has left it so much: half in two and a half years.")...)
		}
		if h.Outcome == finding.Fails {
			h.Says = append(h.Says, said.Say(" A new or stronger one.")...)
		}
		out = append(out, s.sure(h, drum))
	}
	if s.t.Ratio != nil && s.t.Crank != nil && s.t.DrumAcross != nil {
		h := s.base(CodeCrank, "On the crank", "crank")
		radius := float64(*s.t.DrumAcross)/2 + s.builtUp()
		hand := drum * tipping.Gravity * radius / (*s.t.Ratio * float64(*s.t.Crank) * crankLoss)
		h.Figure, h.Limit = finding.Exactly(
			quantity.KindMass,
			hand/tipping.Gravity,
		), finding.Exactly(
			quantity.KindMass,
			handSteady/tipping.Gravity,
		)
		h.Says = said.Say(
			"% on the crank at its worst; % is what one keeps up.",
			said.Mass(hand/tipping.Gravity),
			said.Mass(handSteady/tipping.Gravity),
		)
		switch {
		case hand > handShort:
			h.Outcome = finding.Fails
			h.Says = append(h.Says, said.Say(" Nobody turns that: a part more, or a winch with more gear.")...)
		case hand > handSteady:
			h.Outcome, h.Tight = finding.Tight, finding.LittleRoom
		}
		out = append(out, h)
	}
	return out
}

// valve asks what holds the bed when a hose bursts.
func (s *Setup) valve(root string) finding.Finding {
	f := s.base(CodeWinch, "A cylinder that holds", "brake")
	switch {
	case s.t.Brake == nil:
		return need(
			f,
			root+"brake",
			"whether a valve at the cylinder holds it when a hose bursts",
			"A block screwed to the cylinder itself, not to the pump.",
		)
	case !*s.t.Brake:
		f.Outcome = finding.Fails
		f.Says = said.Say(
			"When a hose bursts the bed falls: a valve at the cylinder that holds it, and lets it down slowly.",
		)
	default:
		f.Says = said.Say("A valve at the cylinder holds the bed when a hose bursts, and lets it down slowly.")
	}
	return f
}

// builtUp is how far the last layer of line stands off the drum, to its middle, m.
func (s *Setup) builtUp() float64 {
	if s.t.LineThick == nil {
		return 0
	}
	return (float64(max(1, s.t.Layers)) - 0.5) * float64(*s.t.LineThick)
}

// layer is what the last layer on the drum leaves of a winch's pull: (d + t)/(d + (2k − 1)·t).
func (s *Setup) layer() float64 {
	if s.t.DrumAcross == nil || s.t.LineThick == nil || s.t.Layers < 2 {
		return 1
	}
	d, t := float64(*s.t.DrumAcross), float64(*s.t.LineThick)
	return (d + t) / (d + float64(2*s.t.Layers-1)*t)
}

// mast says what a fixed mast bears at its top and as a moment at its foot, where it is greatest: the line to the bed, and
// the drum's part of it down along the mast. Its own strength is not judged: the frame's members are.
func (s *Setup) mast() (finding.Finding, bool) {
	f := s.base(CodeMast, "What the mast bears", "foot")
	f.Gate = finding.GateCut
	if s.t.By != plan.TipByMast || s.t.Foot == s.t.Top {
		return f, false
	}
	top, foot := vec(s.t.Top), vec(s.t.Foot)
	long := math.Hypot(top.X-foot.X, top.Z-foot.Z)
	worst, along := 0.0, 0.0
	for i := range s.Swept {
		h := &s.Swept[i]
		// across the mast by its lever, and along it with the line that comes down
		moment := math.Abs((top.X-foot.X)*h.Foot.Z - (top.Z-foot.Z)*h.Foot.X)
		if moment > worst {
			worst = moment
			along = -(h.Foot.X*(top.X-foot.X)+h.Foot.Z*(top.Z-foot.Z))/long + h.Pull/s.tackle()
		}
	}
	if at, through := s.through(); through && !s.t.Beside {
		f.Outcome, f.Tight, f.Gate = finding.Tight, finding.LittleRoom, finding.GateCut
		f.Figure = finding.Exactly(quantity.KindAngle, at)
		f.Says = said.Say(
			"At % the bed comes up into the mast. Two posts beside the bed, joined over their tops, or a mast that leans farther forward.",
			said.Of(quantity.KindAngle, at),
		)
		return f, true
	}
	f.Figure = finding.Exactly(quantity.KindMass, worst/tipping.Gravity)
	f.Says = said.Say(
		"Where it bends most the mast's foot bears a moment as of % at one metre, and % along it. Draw the mast as a member, a stay or a deep foot to it.",
		said.Mass(worst/tipping.Gravity),
		said.Mass(math.Max(0, along)/tipping.Gravity),
	)
	return f, true
}

// through is the first angle at which the bed's floor, from its front edge to over the hinge, crosses a fixed mast.
func (s *Setup) through() (angle float64, is bool) {
	from := 0.0
	if s.t.From != nil {
		from = float64(*s.t.From)
	}
	foot, top, hinge := vec(s.t.Foot), vec(s.t.Top), s.gear.Hinge
	side := func(a, b, p tipping.Vec) float64 { return (b.X-a.X)*(p.Z-a.Z) - (b.Z-a.Z)*(p.X-a.X) }
	front, over := tipping.Vec{X: from - hinge.X, Z: -hinge.Z}, tipping.Vec{Z: -hinge.Z}
	for i := range s.Swept {
		turned := func(r tipping.Vec) tipping.Vec {
			v := tipping.Turned(r, s.Swept[i].Angle)
			return tipping.Vec{X: hinge.X + v.X, Z: hinge.Z + v.Z}
		}
		a, b := turned(front), turned(over)
		if side(a, b, foot)*side(a, b, top) < 0 && side(foot, top, a)*side(foot, top, b) < 0 {
			return s.Swept[i].Angle, true
		}
	}
	return 0, false
}

// stroke holds a cylinder's lengths against those of its triangle.
func (s *Setup) stroke() (finding.Finding, bool) {
	f := s.base(CodeStroke, "The cylinder's stroke", "open")
	if !s.pushes() || s.t.Closed == nil || s.t.Open == nil {
		return f, false
	}
	closed, open := float64(*s.t.Closed), float64(*s.t.Open)
	short, long := math.Inf(1), 0.0
	for i := range s.Swept {
		short, long = math.Min(short, s.Swept[i].Long), math.Max(long, s.Swept[i].Long)
	}
	f.Figure, f.Limit = finding.Exactly(quantity.KindLength, long), finding.Exactly(quantity.KindLength, open)
	switch {
	case closed >= open:
		f.Outcome, f.Says = finding.Fails, said.Say(
			"Closed the cylinder is % long and open %: one of the two is wrong.",
			said.Length(closed),
			said.Length(open),
		)
	case short < closed-1e-6:
		f.Outcome = finding.Fails
		f.Says = said.Say(
			"With the bed down there are % between its eyes; closed the cylinder is % long. It holds the bed up: move its foot away.",
			said.Length(short),
			said.Length(closed),
		)
	case long > open+1e-6:
		f.Outcome = finding.Fails
		f.Says = said.Say(
			"At the stop there are % between its eyes; open the cylinder is % long. It ends before: a longer one, or its head nearer to the hinge.",
			said.Length(long),
			said.Length(open),
		)
	default:
		f.Says = said.Say("Between % and % it stays within its stroke.", said.Length(short), said.Length(long))
	}
	return f, true
}

// slide asks whether the load slides before the stop.
func (s *Setup) slide() (finding.Finding, bool) {
	f := s.base(CodeSlide, "Does it empty?", "stop")
	f.Gate = ""
	low, high, loose := s.slides()
	if !loose {
		return f, false
	}
	f.Source = norms.Practice("slopes at which loose material slides, wide ranges")
	stop := degrees(s.stop)
	f.Figure = finding.Exactly(quantity.KindAngle, s.stop)
	f.Limit = finding.Exactly(quantity.KindAngle, radians(high))
	says := said.Say("It stops at %; the load slides between % and %.", said.Of(quantity.KindAngle, s.stop),
		said.Of(quantity.KindAngle, radians(low)), said.Of(quantity.KindAngle, radians(high)))
	switch {
	case stop >= high:
		f.Says = append(says, said.Say(" It empties by itself.")...)
	case stop >= low:
		f.Outcome, f.Tight = finding.Tight, finding.GuessTooRough
		f.Says = append(
			says,
			said.Say(" Some of it stays: a rake, a smoother lining, or higher. Nobody climbs in.")...)
	default:
		f.Outcome, f.Tight = finding.Tight, finding.LittleRoom
		f.Says = append(says, said.Say(" It does not slide: higher, a plastic lining, or a shovel from behind.")...)
	}
	return f, true
}

// gate asks whether the tailgate opens wide enough for the lumps.
func (s *Setup) gate() (finding.Finding, bool) {
	f := s.base(CodeGate, "Tailgate and lumps", "gateOpens")
	f.Gate = ""
	if s.t.GateOpens == nil || s.t.Lumps == nil {
		return f, false
	}
	opens, wants := float64(*s.t.GateOpens), lumpsWide*float64(*s.t.Lumps)
	f.Figure, f.Limit = finding.Exactly(quantity.KindLength, opens), finding.Exactly(quantity.KindLength, wants)
	if opens < wants {
		f.Outcome, f.Tight = finding.Tight, finding.LittleRoom
		f.Says = said.Say("The tailgate opens %; lumps of % jam under %. Take it off, or hinge it at its bottom.",
			said.Length(opens), said.Length(*s.t.Lumps), said.Length(wants))
		return f, true
	}
	f.Says = said.Say("The tailgate opens % for lumps of %.", said.Length(opens), said.Length(*s.t.Lumps))
	return f, true
}

// low asks how near the tail comes to the ground.
func (s *Setup) low() (finding.Finding, bool) {
	f := s.base(CodeTail, "The tail over the ground", "hinge/back")
	h := s.tail(s.stop)
	f.Figure, f.Limit = finding.Exactly(quantity.KindLength, h), finding.Exactly(quantity.KindLength, tailLeast)
	switch {
	case h < 0:
		f.Outcome = finding.Fails
		f.Says = said.Say(
			"At the stop the tail would stand % under the ground. A hinge farther to the rear or higher, or stop before.",
			said.Length(-h),
		)
	case h < tailLeast:
		f.Outcome, f.Tight = finding.Tight, finding.LittleRoom
		f.Says = said.Say(
			"At the stop the tail is % over the ground: it digs into the heap. Drive on as it empties.",
			said.Length(h),
		)
	default:
		f.Says = said.Say("At the stop the tail is % over the ground.", said.Length(h))
	}
	return f, true
}

// balance is the ball load with the bed raised and the load stuck on it.
func (s *Setup) balance() (finding.Finding, bool) {
	f := s.base(CodeBall, "The ball as it rises", "unhitched")
	least, at, known := math.Inf(1), 0.0, false
	for i := range s.Swept {
		if b, ok := s.ball(s.Swept[i].Angle); ok && b < least {
			least, at, known = b, s.Swept[i].Angle, true
		}
	}
	if !known {
		return f, false
	}
	f.Figure, f.Limit = finding.Exactly(quantity.KindMass, least), finding.Exactly(quantity.KindMass, 0.0)
	switch {
	case least >= 0:
		f.Says = said.Say("With the load stuck at the stop the ball still bears %.", said.Mass(least))
	case s.t.Unhitched:
		f.Outcome = finding.Fails
		f.Says = said.Say(
			"With the load stuck, at % the trailer goes over to the rear: % lift at the coupling. Tip hitched, or with props under the tail.",
			said.Of(quantity.KindAngle, at),
			said.Mass(-least),
		)
	default:
		f.Outcome, f.Tight = finding.Tight, finding.LittleRoom
		f.Says = said.Say(
			"With the load stuck, at % the coupling lifts the car's tail with %. Hitched alone, latch and pin looked at, parking brake on, wheels chocked.",
			said.Of(quantity.KindAngle, at),
			said.Mass(-least),
		)
	}
	return f, true
}

// side asks whether the raised bed topples on a slope across, one wheel sunk in and the load stuck to one side:
//
//	tan α = (track/2 − e)/h
func (s *Setup) side() (finding.Finding, bool) {
	f := s.base(CodeSide, "Toppling sideways, raised", "slope")
	h, empty := s.r.CentreHeight(), s.r.EmptyMass()
	if h == nil || empty == nil || s.r.Trailer.Track == nil {
		return f, false
	}
	mass, load := empty.Nominal, 0.0
	for i := range s.r.Items {
		if m := s.r.Items[i].Mass; m != nil {
			mass += m.Nominal
		}
	}
	for _, i := range s.loads {
		load += s.r.Items[i].Mass.Nominal
	}
	if !(mass > 0) {
		return f, false
	}
	track := float64(s.r.Trailer.Track.Value)
	up := h.High + s.risen(s.stop)/mass
	off := track/2 - sideways*s.r.DeckWidth()*load/mass
	topple := math.Atan2(off, up)
	slope, told := slopeUsual, false
	if s.t.Slope != nil {
		slope, told = *s.t.Slope, true
	}
	wanted := topples * (slope + math.Atan2(sinks, track))
	f.AtMost(quantity.KindAngle, wanted, topple)
	f.Says = said.Say(
		"Raised and stuck to one side it topples at %; the ground's % with a wheel sunk in and a reserve come to %.",
		said.Of(
			quantity.KindAngle,
			topple,
		),
		said.Of(quantity.KindAngle, slope),
		said.Of(quantity.KindAngle, wanted),
	)
	if f.Outcome == finding.Fails {
		f.Says = append(f.Says, said.Say(" Level, firm ground alone; a board under the lower wheel.")...)
	}
	if !told && f.Outcome == finding.Holds {
		f.Says = append(f.Says, said.Say(" Stop at once where a wheel sinks.")...)
	}
	return f, true
}

// prop asks for what stands under the raised bed before anybody reaches under it.
func (s *Setup) prop() finding.Finding {
	f := s.base(CodeProp, "A prop under the bed", "prop")
	f.Source = norms.Practice("nobody under a raised bed without a prop")
	bed := s.heavy[0].Kg
	switch {
	case !s.t.Prop:
		f.Outcome, f.Tight = finding.Tight, finding.LittleRoom
		f.Says = said.Say(
			"There is no prop: nobody reaches under the raised bed, for grease or a stone. Build one in that stands by itself.",
		)
	case s.t.PropMax != nil && float64(*s.t.PropMax) < bed:
		f.Outcome = finding.Fails
		f.Figure, f.Limit = finding.Exactly(
			quantity.KindMass,
			bed,
		), finding.Exactly(
			quantity.KindMass,
			float64(*s.t.PropMax),
		)
		f.Says = said.Say(
			"The prop bears %, the empty bed weighs up to %. A stronger one.",
			said.Mass(*s.t.PropMax),
			said.Mass(bed),
		)
	case s.t.PropMax == nil:
		f.Outcome, f.Tight = finding.Tight, finding.GuessTooRough
		f.Says = said.Say(
			"A prop stands under the raised bed; what it bears is not entered. The empty bed weighs up to %.",
			said.Mass(bed),
		)
	default:
		f.Says = said.Say("A prop stands under the raised bed, the empty one alone; hands off the hinge.")
	}
	return f
}

// time is how long a tip takes and what it draws.
func (s *Setup) time() (finding.Finding, bool) {
	f := s.base(CodeTime, "Time and current of a tip", "amps")
	f.Gate = ""
	seconds, hours, ok := s.Takes()
	if !ok {
		return f, false
	}
	f.Figure = finding.Exactly(quantity.KindTime, seconds)
	f.Says = said.Say("Up in %, with % A·h of the battery.", said.Of(quantity.KindTime, seconds),
		said.Of(quantity.KindCount, math.Round(hours*100)/100))
	return f, true
}

// Takes is how long a tip takes, s, and what it draws, A·h: over each step of the way the line's or the pack's
// current in proportion to its pull, a quarter of it without load (practice, C).
func (s *Setup) Takes() (seconds, hours float64, ok bool) {
	const idle = 0.25
	t := s.t
	winds := s.winds() && t.Amps != nil && t.LineSpeed != nil && t.WinchLifts != nil
	packs := s.pushes() && t.Bore != nil && t.Flow != nil && t.PackAmps != nil && t.Pressure != nil
	if !winds && !packs || len(s.Swept) < 2 {
		return 0, 0, false
	}
	for i := 1; i < len(s.Swept); i++ {
		a, b := &s.Swept[i-1], &s.Swept[i]
		way, pull := math.Abs(b.Long-a.Long), math.Max(0, (a.Pull+b.Pull)/2)
		var dt, share, amps float64
		if winds {
			dt = way * float64(max(1, t.Parts)) / (*t.LineSpeed / 60)
			share, amps = s.onDrum(pull)/float64(*t.WinchLifts), *t.Amps
		} else {
			area := math.Pi / 4 * float64(*t.Bore) * float64(*t.Bore)
			dt = way * area / (*t.Flow / 60000 * pumpLoss)
			share, amps = pull/area/float64(*t.Pressure), *t.PackAmps
		}
		seconds += dt
		hours += amps * (idle + (1-idle)*math.Min(1, share)) * dt / 3600
	}
	return seconds, hours, true
}
