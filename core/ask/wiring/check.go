package wiring

import (
	"fmt"

	"zygonos/core/facts/norms"
	"zygonos/core/lang/finding"
	"zygonos/core/lang/quantity"
	"zygonos/core/lang/said"
	"zygonos/core/plan"
	"zygonos/core/rig"
)

// Codes of the findings made here.
const (
	CodeLamps  = "wiring.lamps"
	CodePlaces = "wiring.places"
	CodeFeeds  = "wiring.feeds"
	CodeDrop   = "wiring.drop"
	CodeHeat   = "wiring.heat"
)

// dropMost is what wires and contacts may take of a lamp's voltage (practice, C).
const dropMost = 0.5

func base(r *rig.Rig, code, title string) finding.Finding {
	return finding.Finding{
		Code: code, Stage: Stage, Scope: r.Scope, Gate: finding.GateGo, Title: said.Say(title),
		Subject: "/trailers/" + r.Scope.Trailer + "/wiring/lamps", Outcome: finding.Holds,
	}
}

// Check judges the lamps that are stated.
func Check(r *rig.Rig) (out []finding.Finding) {
	w := r.Trailer.Wiring
	if w == nil {
		return nil
	}
	out = append(out, asked(r, w))
	if f, ok := places(r, w); ok {
		out = append(out, f)
	}
	for _, ask := range []func(*rig.Rig, *plan.Wiring) (finding.Finding, bool){hidden, knocks} {
		if f, ok := ask(r, w); ok {
			out = append(out, f)
		}
	}
	h := New(r)
	if h == nil {
		f := base(r, CodeFeeds, "Lamps and plug")
		f.Outcome, f.Says = finding.Unknown, said.Say("Which plug the trailer has is not known.")
		f.Subject = "/trailers/" + r.Scope.Trailer + "/plug"
		f.Needs = []finding.Need{
			{Path: f.Subject, Says: said.Say("the trailer's plug"), Where: said.Say("Count its pins.")},
		}
		switch {
		case len(w.Lamps) == 0:
			return out
		case len(w.Lamps) > mostLamps:
			f.Says = said.Say("More than % lamps are not simulated. Take some out.", said.Count(mostLamps))
			f.Subject = "/trailers/" + r.Scope.Trailer + "/wiring/lamps"
			f.Needs = []finding.Need{
				{Path: f.Subject, Says: said.Say("fewer lamps"), Where: said.Say("Those that are there.")},
			}
		}
		return append(out, f)
	}
	out = append(out, h.fed())
	if f, is := h.adapted(); is {
		out = append(out, f)
	}
	return out
}

// Rest judges voltages and currents, which take a dozen solutions.
func Rest(r *rig.Rig) []finding.Finding {
	h := New(r)
	if h == nil {
		return nil
	}
	out := h.drops()
	for _, ask := range []func() (finding.Finding, bool){h.routed, h.watched} {
		if f, is := ask(); is {
			out = append(out, f)
		}
	}
	return out
}

// bears is what a wire of the harness bears, A.
func (h *Harness) bears() float64 {
	amps := norms.Ampacity(h.wire)
	if h.w.Bundled {
		amps *= norms.Bundle
	}
	return amps
}

// drops judges the voltage that wires and contacts take of a lamp with everything on, and the current of each
// pole against its wire and the fuse.
func (h *Harness) drops() []finding.Finding {
	f := base(h.r, CodeDrop, "Voltage at the lamps")
	f.Source = norms.Practice("half a volt for lamps")
	g := base(h.r, CodeHeat, "Wires and fuse")
	g.Source = norms.Practice("ampacity of thin-wall cable, half of it in a bundle")
	l := h.solve(Switches, nil)
	worst, most := -1, -1.0
	var lowest float64
	for _, s := range Switches { // each with the tail lamps, as it is driven
		if l.err != nil {
			break
		}
		one := h.solve([]Switch{SwitchTail, s}, nil)
		if l.err = one.err; l.err != nil {
			break
		}
		for i := range h.lamps {
			p := h.lamps[i].pole
			if p < 0 || one.lights[i].bright < seenFrom {
				continue
			}
			// what the car itself drops is not the trailer's
			if d := battery - one.lights[i].volts - carInner*one.poles[p]; d > most {
				worst, most, lowest = i, d, one.lights[i].volts
			}
		}
	}
	if l.err != nil {
		f.Outcome, f.Says = finding.Unknown, said.Say("The harness does not settle as it is entered.")
		f.Needs = []finding.Need{
			{
				Path:  f.Subject,
				Says:  said.Say("its lamps and wires"),
				Where: said.Say("Look for a figure that makes no sense."),
			},
		}
		return []finding.Finding{f}
	}
	if worst < 0 {
		return nil
	}
	f.Subject += "/" + h.lamps[worst].id
	f.Figure, f.Limit = finding.Exactly(quantity.KindVoltage, most), finding.Exactly(quantity.KindVoltage, dropMost)
	says := said.Say(
		"With the tail lamps on, % gets %, which is % less than the socket gives",
		said.Name(h.called(worst), "a lamp"),
		volts(lowest),
		volts(most),
	)
	if most > dropMost {
		f.Outcome, f.Tight = finding.Tight, finding.LittleRoom
		need := h.wire * most / dropMost
		f.Says = append(
			says,
			said.Say(
				": the usual limit is half a volt. Use wires of %, or an earth of its own.",
				section(need),
			)...)
	} else {
		f.Says = append(says, said.Say(".")...)
	}
	pole, amps := -1, 0.0
	earth := 0.0
	for i, a := range l.poles {
		earth += a
		if a > amps {
			pole, amps = i, a
		}
	}
	bears := h.bears()
	g.Subject = "/trailers/" + h.r.Scope.Trailer + "/wiring/wire"
	g.Figure, g.Limit = finding.Exactly(quantity.KindCurrent, earth), finding.Exactly(quantity.KindCurrent, bears)
	switch {
	case earth > bears:
		g.Outcome = finding.Fails
		g.Says = said.Say(
			"With everything on the earth carries %, and its wire of % is good for %. Use a thicker one.",
			amperes(earth),
			said.Piece{Text: norms.SectionText(h.wire)},
			amperes(bears),
		)
	case h.w.Fuse != nil && amps > *h.w.Fuse:
		g.Outcome = finding.Fails
		g.Subject = "/trailers/" + h.r.Scope.Trailer + "/wiring/fuse"
		g.Figure, g.Limit = finding.Exactly(quantity.KindCurrent, amps), finding.Exactly(quantity.KindCurrent, *h.w.Fuse)
		g.Says = said.Say(
			"Pole % draws % through a fuse of %: it blows and its lamps go dark. Read what is printed on the fuse.",
			said.Piece{Text: h.poles[max(0, pole)].Number}, amperes(amps), amperes(*h.w.Fuse))
	case h.w.Fuse != nil && earth > *h.w.Fuse:
		g.Outcome, g.Tight = finding.Tight, finding.LittleRoom
		g.Subject = "/trailers/" + h.r.Scope.Trailer + "/wiring/fuse"
		g.Figure, g.Limit = finding.Exactly(quantity.KindCurrent, earth), finding.Exactly(quantity.KindCurrent, *h.w.Fuse)
		g.Says = said.Say("All lamps together draw %: one fuse of % for all of them blows. A fuse for each pole is enough.",
			amperes(earth), amperes(*h.w.Fuse))
	case h.w.Fuse != nil && *h.w.Fuse > bears:
		g.Outcome, g.Tight = finding.Tight, finding.LittleRoom
		g.Subject = "/trailers/" + h.r.Scope.Trailer + "/wiring/fuse"
		g.Says = said.Say("The fuse of % is more than a wire of % is good for, %: in a short the wire burns first.",
			amperes(*h.w.Fuse), said.Piece{Text: norms.SectionText(h.wire)}, amperes(bears))
	default:
		g.Says = said.Say("With everything on the earth carries %, and pole % at most %; the wires are good for %.",
			amperes(earth), said.Piece{Text: h.poles[max(0, pole)].Number}, amperes(amps), amperes(bears))
	}
	return []finding.Finding{f, g}
}

func volts(v float64) said.Piece   { return said.Of(quantity.KindVoltage, v) }
func amperes(v float64) said.Piece { return said.Of(quantity.KindCurrent, v) }

// section is the next section that is sold, in both its names.
func section(mm2 float64) said.Piece { return said.Piece{Text: norms.SectionText(norms.Section(mm2))} }

func number(v float64) said.Piece { return said.Piece{Text: fmt.Sprintf("%.3g", v)} }
