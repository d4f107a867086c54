package tip

import (
	"math"
	"slices"

	"zygonos/core/facts/norms"
	"zygonos/core/lang/finding"
	"zygonos/core/lang/quantity"
	"zygonos/core/lang/said"
	"zygonos/core/sums/tipping"
)

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
			f.Says = append(f.Says, said.Say(" Use a larger bore, move its head farther from the hinge, or carry less.")...)
		}
		out = append(out, s.sure(f, n/area))
	default:
		f := s.base(CodePull, "By hand", "pick/back")
		f.AtMost(quantity.KindMass, n/tipping.Gravity, handShort/tipping.Gravity)
		f.Says = said.Say(
			"At % it takes % square to the bed; one person pushes % for a moment.",
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
		f.Says = append(f.Says, said.Say(" That takes the guessed weights at their highest: weigh them.")...)
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
			"On its plate. A rating for rolling loads does not count for lifting.",
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
			f.Says = append(f.Says, said.Say(" Use one part more in the tackle, a higher mast or a stronger winch, or carry less.")...)
		}
		if fuller, untold := s.fuller(); f.Outcome == finding.Holds && drum > fuller*lifts {
			f.Outcome, f.Tight, f.Needs = finding.Tight, finding.GuessTooRough, untold
			f.Says = slices.Concat(f.Says,
				said.Say(" That is on the first; on a full drum about %. Enter ", said.Mass(fuller*lifts)),
				finding.Takes(untold), said.Say("."))
		}
		f = s.sure(f, drum)
	}
	out = append(out, f)
	g := s.base(CodeWinch, "A winch fit for lifting", "lifting")
	switch {
	case s.t.Lifting == nil:
		g = need(
			g,
			root+"lifting",
			"whether the winch is rated for lifting",
			"Its leaflet says lifting, or only pulling.",
		)
	case !*s.t.Lifting:
		g.Outcome = finding.Fails
		g.Says = said.Say(
			"The winch is rated for pulling rolling loads, not for lifting: a bed that can come down on its own is a lifted load.",
		)
	case s.t.Brake == nil:
		g = need(
			g,
			root+"brake",
			"whether the winch holds by itself",
			"Let go of the crank, or the switch, with a load on: the bed must stay.",
		)
	case !*s.t.Brake:
		g.Outcome = finding.Fails
		g.Says = said.Say("The winch does not hold by itself: let go, and the bed falls. It needs a load brake.")
	default:
		g.Says = said.Say("The winch is rated for lifting and holds by itself.")
	}
	out = append(out, g)
	if s.t.LineMax == nil {
		out = append(
			out,
			need(s.base(CodeLine, "Line or strap", "lineMax"), root+"lineMax", "what the line or strap may carry",
				"On its label, as a working load; for a bare rope, a fifth of what it breaks at."),
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
			h.Says = append(h.Says, said.Say(" That is what the sun has left: half in two and a half years.")...)
		}
		if h.Outcome == finding.Fails {
			h.Says = append(h.Says, said.Say(" Use a new or stronger one.")...)
		}
		out = append(out, s.sure(h, drum))
	}
	if s.t.Ratio != nil && s.t.Crank != nil && s.t.DrumAcross != nil {
		h := s.base(CodeCrank, "On the crank", "crank")
		radius := float64(*s.t.DrumAcross)/2 + s.builtUp()
		hand := drum * tipping.Gravity * radius / (*s.t.Ratio * float64(*s.t.Crank) * norms.CrankKeeps)
		h.Figure, h.Limit = finding.Exactly(
			quantity.KindMass,
			hand/tipping.Gravity,
		), finding.Exactly(
			quantity.KindMass,
			handSteady/tipping.Gravity,
		)
		h.Says = said.Say(
			"% on the crank at its worst; one person keeps up %.",
			said.Mass(hand/tipping.Gravity),
			said.Mass(handSteady/tipping.Gravity),
		)
		switch {
		case hand > handShort:
			h.Outcome = finding.Fails
			h.Says = append(h.Says, said.Say(" Nobody turns that: use one part more, or a winch with a lower gear.")...)
		case hand > handSteady:
			h.Outcome, h.Tight = finding.Tight, finding.LittleRoom
		default:
			if fuller, untold := s.fuller(); hand > fuller*handSteady {
				h.Outcome, h.Tight, h.Needs = finding.Tight, finding.GuessTooRough, untold
				h.Says = append(h.Says, said.Say(" On a full drum it is about %.", said.Mass(hand/fuller/tipping.Gravity))...)
			}
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
			"When a hose bursts the bed falls: fit a valve at the cylinder that holds it and lets it down slowly.",
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

// fuller is what a drum of which not all is stated may leave yet of what layer says, with what to tell: 1 and nothing
// where all is.
func (s *Setup) fuller() (share float64, needs []finding.Need) {
	root := "/trailers/" + s.r.Scope.Trailer + "/tipping/"
	switch n := s.t.Layers; {
	case n == 0:
		return norms.FullDrum, []finding.Need{{
			Path: root + "layers", Says: said.Say("how many layers of line are on the drum"),
			Where: said.Say("Wind it on and count."),
		}}
	case n > 1 && s.t.DrumAcross == nil:
		return norms.FullDrum, []finding.Need{{
			Path: root + "drumAcross", Says: said.Say("the bare drum's diameter"), Where: said.Say("Tape it beside the line."),
		}}
	case n > 1 && s.t.LineThick == nil:
		return norms.FullDrum, []finding.Need{{
			Path: root + "lineThick", Says: said.Say("the line's thickness"), Where: said.Say("With a caliper."),
		}}
	}
	return 1, nil
}

// Keeps is the share of its rating that a winch surely lifts: on its last layer, on a full drum where not all of it is
// stated.
func (s *Setup) Keeps() float64 {
	fuller, _ := s.fuller()
	return s.layer() * fuller
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
			"The cylinder is entered as % long closed and % open: one of the two is wrong.",
			said.Length(closed),
			said.Length(open),
		)
	case short < closed-1e-6:
		f.Outcome = finding.Fails
		f.Says = said.Say(
			"With the bed down its eyes are % apart; closed, the cylinder is % long. It holds the bed up: move its foot away.",
			said.Length(short),
			said.Length(closed),
		)
	case long > open+1e-6:
		f.Outcome = finding.Fails
		f.Says = said.Say(
			"At the stop its eyes are % apart; open, the cylinder is % long. It runs out first: use a longer one, or move its head nearer to the hinge.",
			said.Length(long),
			said.Length(open),
		)
	default:
		f.Says = said.Say("Between % and % it stays within its stroke.", said.Length(short), said.Length(long))
	}
	return f, true
}
