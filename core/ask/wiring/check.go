package wiring

import (
	"fmt"
	"math"
	"slices"

	"zygonos/core/facts/norms"
	"zygonos/core/lang/finding"
	"zygonos/core/lang/quantity"
	"zygonos/core/lang/said"
	"zygonos/core/lang/scene"
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

// Check judges the lamps that are told.
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

// asked holds the lamps against what the region asks for in general.
func asked(r *rig.Rig, w *plan.Wiring) finding.Finding {
	f := base(r, CodeLamps, "Lamps that are asked for")
	rules, source := norms.LampRules(r.Plan.Region)
	f.Source = &source
	have := map[string]int{}
	for _, l := range w.Lamps {
		have[string(l.What)]++
	}
	gross := 0.0
	if r.Trailer.Label != nil {
		gross = float64(r.Trailer.Label.Value)
	}
	var missing []said.Sentence
	wide, long := overAll(r)
	var open *finding.Need // what decides whether one more is asked for
	for _, rule := range rules {
		if !rule.Asks(gross, wide, long) {
			if n := decides(r, &rule); n != nil && open == nil && have[rule.What] < rule.Least {
				open = n
			}
			continue
		}
		if n := rule.Least - have[rule.What]; n > 0 {
			missing = append(
				missing,
				said.Say(
					"%",
					said.Counted(n, useWord[plan.LampUse(rule.What)], useWord[plan.LampUse(rule.What)]+"s"),
				),
			)
		}
	}
	f.Figure, f.Limit = finding.Exactly(
		quantity.KindCount,
		float64(len(missing)),
	), finding.Exactly(
		quantity.KindCount,
		0.0,
	)
	if len(missing) > 0 {
		f.Outcome = finding.Fails
		f.Says = slices.Concat(said.Say("Missing: "), said.List(missing...), said.Say(". Check your local code."))
		return f
	}
	if open != nil {
		f.Outcome, f.Figure, f.Limit, f.Needs = finding.Unknown, nil, nil, []finding.Need{*open}
		f.Says = append(
			said.Say("Whether more lamps are asked for hangs on "),
			append(open.Says, said.Say(".")...)...)
		return f
	}
	f.Says = said.Say("Every lamp and reflector that is asked for in general is there. Check your local code.")
	return f
}

// decides is what a rule hangs on that is not known of a trailer; nil where all is.
func decides(r *rig.Rig, rule *norms.LampRule) *finding.Need {
	root, t := "/trailers/"+r.Scope.Trailer, r.Trailer
	need := func(field, says, where string) *finding.Need {
		return &finding.Need{Path: root + "/" + field, Says: said.Say(says), Where: said.Say(where)}
	}
	switch {
	case rule.Over > 0 && t.Label == nil:
		return need(
			"label",
			"the trailer's gross weight",
			"On its plate or in its papers; of one that is built, what it is built for.",
		)
	case rule.WideOver > 0 && t.Track == nil && t.WidthOverAll == nil:
		return need("widthOverAll", "the width over all", "Tape it over tyres or mudguards.")
	case rule.LongOver > 0 && t.DeckLength == nil:
		return need("deckLength", "the length of the deck", "Tape it.")
	case rule.LongOver > 0 && r.DeckFront == nil:
		return need(
			"couplingToDeck",
			"distance from {coupling} to the {headboard}",
			"Tape from the ball's middle to the front edge of the deck.",
		)
	}
	return nil
}

// overAll is a trailer's width and length over all, m: as told, else over its tyres and from ball to tail.
func overAll(r *rig.Rig) (wide, long float64) {
	wide = r.DeckWidth()
	if t := r.Trailer.Track; t != nil {
		tyre := 0.165 // the usual one (practice, C)
		if w := r.Tyre().Width; w != nil {
			tyre = float64(*w)
		}
		wide = math.Max(wide, float64(t.Value)+tyre)
	}
	if w := r.Trailer.WidthOverAll; w != nil {
		wide = math.Max(wide, float64(w.Value))
	}
	long = r.DeckLength()
	if r.DeckFront != nil {
		long += r.DeckFront.Nominal
	}
	return wide, long
}

// places holds heights, distances from the side and between a pair against the rules.
func places(r *rig.Rig, w *plan.Wiring) (finding.Finding, bool) {
	f := base(r, CodePlaces, "Places of the lamps")
	rules, source := norms.LampRules(r.Plan.Region)
	f.Source = &source
	half := r.DeckWidth() / 2
	if t := r.Trailer.Track; t != nil {
		half = math.Max(half, float64(t.Value)/2)
	}
	any := false
	for _, id := range plan.Ordered(w.Lamps, func(l plan.Lamp) int { return l.Order }) {
		l := w.Lamps[id]
		at := slices.IndexFunc(rules, func(rule norms.LampRule) bool { return rule.What == string(l.What) })
		if at < 0 {
			continue
		}
		rule := rules[at]
		name := said.Name(nameOf(&l), "A lamp")
		f.Subject = "/trailers/" + r.Scope.Trailer + "/wiring/lamps/" + id
		h := float64(l.Height)
		if rule.High > 0 {
			any = true
			if h == 0 {
				f.Outcome, f.Says = finding.Unknown, said.Say("How high % is over the ground is not known.", name)
				f.Subject += "/height"
				f.Needs = []finding.Need{
					{
						Path:  f.Subject,
						Says:  said.Say("the lamp's height"),
						Where: said.Say("From the ground to its middle, empty."),
					},
				}
				return f, true
			}
			if h < rule.Low-1e-9 || h > rule.High+1e-9 {
				f.Outcome = finding.Fails
				f.Figure = finding.Exactly(quantity.KindLength, h)
				f.Says = said.Say("% is % over the ground; % to % is asked for in general. Check your local code.",
					name, said.Length(h), said.Length(rule.Low), said.Length(rule.High))
				return f, true
			}
		}
		if in := half - math.Abs(float64(l.Right)); rule.Edge > 0 && in > rule.Edge+1e-9 {
			f.Outcome = finding.Fails
			f.Figure = finding.Exactly(quantity.KindLength, in)
			f.Says = said.Say(
				"% is % in from the trailer's side; % is asked for at most in general. Check your local code.",
				name,
				said.Length(in),
				said.Length(rule.Edge),
			)
			return f, true
		}
		apart := rule.Apart
		if 2*half < 1.3 {
			apart = rule.ApartThin
		}
		if apart == 0 || float64(l.Right) >= 0 {
			continue
		}
		for _, o := range w.Lamps {
			if d := float64(o.Right - l.Right); o.What == l.What && o.Right > 0 && d < apart-1e-9 {
				f.Outcome = finding.Fails
				f.Figure = finding.Exactly(quantity.KindLength, d)
				f.Says = said.Say(
					"The "+useWord[l.What]+"s are % apart; % is asked for at least in general. Check your local code.",
					said.Length(d),
					said.Length(apart),
				)
				return f, true
			}
		}
	}
	if !any {
		return f, false
	}
	f.Subject = "/trailers/" + r.Scope.Trailer + "/wiring/lamps"
	f.Says = said.Say("Heights and distances of the lamps are as asked for in general. Check your local code.")
	return f, true
}

// fed tells of lamps for which the plug has no pole, or that are made for another voltage.
func (h *Harness) fed() finding.Finding {
	f := base(h.r, CodeFeeds, "Lamps and plug")
	f.Source = &norms.PolesSource
	var without []said.Sentence
	for i := range h.lamps {
		l := &h.lamps[i]
		if l.l.Volts24 {
			f.Outcome = finding.Fails
			f.Subject += "/" + l.id + "/volts24"
			f.Says = said.Say(
				"% is made for 24 V and stays dark on 12. Change it.",
				said.Name(h.lampName(i), "A lamp"),
			)
			return f
		}
		if l.pole < 0 {
			without = append(without, said.Say("%", said.Name(h.lampName(i), "a lamp")))
		}
	}
	if h.earth < 0 {
		f.Outcome, f.Says = finding.Fails, said.Say("The plug has no earth.")
		return f
	}
	if len(without) > 0 {
		f.Outcome = finding.Fails
		f.Says = slices.Concat(said.Say("The plug has no pole for "), said.List(without...),
			said.Say(": another plug, or a wire of its own from the car."))
		return f
	}
	f.Says = said.Say("Every lamp has its pole on the plug.")
	return f
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
		"With the tail lamps on, % gets %, % less than the socket gives",
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
				": half a volt is usual at most. Wires of % or an earth of their own.",
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
			"The earth carries % with everything on, and its wire of % mm² bears %. Take a thicker one.",
			amperes(earth),
			number(h.wire),
			amperes(bears),
		)
	case h.w.Fuse != nil && *h.w.Fuse > bears:
		g.Outcome, g.Tight = finding.Tight, finding.LittleRoom
		g.Subject = "/trailers/" + h.r.Scope.Trailer + "/wiring/fuse"
		g.Says = said.Say("The fuse of % is larger than a wire of % mm² bears, %: in a short the wire burns first.",
			amperes(*h.w.Fuse), number(h.wire), amperes(bears))
	default:
		g.Says = said.Say("The earth carries % with everything on, pole % at most %; the wires bear %.",
			amperes(earth), said.Piece{Text: h.poles[max(0, pole)].Number}, amperes(amps), amperes(bears))
	}
	return []finding.Finding{f, g}
}

func volts(v float64) said.Piece   { return said.Of(quantity.KindVoltage, v) }
func amperes(v float64) said.Piece { return said.Of(quantity.KindCurrent, v) }

// section is the next section that is sold, in both its names.
func section(mm2 float64) said.Piece {
	s := norms.Section(mm2)
	if g := norms.Gauge(s); g != "" {
		return said.Piece{Text: fmt.Sprintf("%.3g mm² (AWG %s)", s, g)}
	}
	return said.Piece{Text: fmt.Sprintf("%.3g mm²", s)}
}

func number(v float64) said.Piece { return said.Piece{Text: fmt.Sprintf("%.3g", v)} }

// Lit is what the stage shows under some switches.
type Lit struct {
	Lamps    []LampState   `json:"lamps"`
	Poles    []PoleState   `json:"poles"`
	Switches []Switch      `json:"switches"` // that the plug has
	Length   []WireRow     `json:"wires"`    // what to buy
	Fittings []HarnessPart `json:"fittings"` // and besides wire
	Points   []ProbePoint  `json:"points"`   // for a meter
	Trials   []Trial       `json:"trials"`   // by which it is tried
	Labels   []string      `json:"labels"`   // of the wires
	View     scene.View    `json:"view"`
	Diagram  *scene.View   `json:"diagram,omitempty"`
}

// LampState is a lamp as it shines.
type LampState struct {
	ID     string  `json:"id"`
	Name   string  `json:"name"`
	Volts  float64 `json:"volts"`
	Bright float64 `json:"bright"` // share of its rated light
	Level  Level   `json:"level"`
	Pole   string  `json:"pole,omitempty"`
	LED    bool    `json:"led,omitempty"`
}

// PoleState is a pole with what it carries.
type PoleState struct {
	Number string        `json:"number"`
	Says   said.Sentence `json:"says"`
	Amps   float64       `json:"amps"`
}

// WireRow is how much wire a pole takes.
type WireRow struct {
	Says   said.Sentence   `json:"says"`
	Length finding.Measure `json:"length"`
}

// Show is a harness under switches; nil where there is none.
func Show(r *rig.Rig, on []Switch) *Lit {
	h := New(r)
	if h == nil {
		return nil
	}
	out := &Lit{Lamps: []LampState{}, Poles: []PoleState{}, Length: []WireRow{}, Labels: []string{}}
	_, out.Switches = h.switches()
	l := h.solve(on, nil)
	for i := range h.lamps {
		s := LampState{
			ID: h.lamps[i].id, Name: h.lampName(i), Volts: l.lights[i].volts, Bright: l.lights[i].bright,
			Level: levelOf(l.lights[i].bright), LED: h.lamps[i].l.LED,
		}
		if p := h.lamps[i].pole; p >= 0 {
			s.Pole = h.poles[p].Number
		}
		out.Lamps = append(out.Lamps, s)
	}
	for i := range h.poles {
		amps := l.poles[i]
		if i == h.earth {
			for _, a := range l.poles {
				amps += a
			}
		}
		out.Poles = append(out.Poles, PoleState{h.poles[i].Number, h.poleName(i), amps})
	}
	out.Length, out.Fittings = h.lengths(), h.fittings()
	out.Trials = h.trials()
	for _, w := range h.Wires() {
		out.Labels = append(out.Labels, w.Label)
	}
	out.Points = h.points(l.net, l.volts, nearRig(r, h.lead-slack))
	out.View, out.Diagram = h.view(l), h.Diagram()
	return out
}

// switches are those for which the plug feeds a lamp.
func (h *Harness) switches() (used []int, on []Switch) {
	used = h.usedPoles()
	for _, s := range Switches {
		if slices.ContainsFunc(used, func(p int) bool { return slices.Contains(feeds[s], h.poles[p].Feed) }) {
			on = append(on, s)
		}
	}
	return used, on
}

// lengths are how much wire each pole takes: its trunk and the branches to its lamps.
func (h *Harness) lengths() (out []WireRow) {
	w := h.wires()
	for _, p := range h.usedPoles() {
		sum := w.trunk[p]
		for i := range h.lamps {
			if h.lamps[i].pole == p {
				sum += w.branch[i]
			}
		}
		out = append(out, WireRow{h.poleName(p), toBuy(sum)})
	}
	earth := w.earth
	if h.w.EarthFrame {
		earth = h.lead
	} else {
		for _, u := range w.unit {
			earth += u
		}
	}
	if h.earth >= 0 {
		out = append(out, WireRow{h.poleName(h.earth), toBuy(earth)})
	}
	return out
}

// toBuy is a length of wire as one buys it: rounded up to 50 mm.
func toBuy(m float64) finding.Measure {
	return *finding.Exactly(quantity.KindLength, math.Ceil(m*20-1e-9)/20)
}

// view is the trailer from above with lamps and cable.
func (h *Harness) view(l *lit) scene.View {
	v := scene.View{ID: "wiring", Title: said.Say("Lamps and cable from above"), Shapes: []scene.Shape{}}
	r := h.r
	long, half := r.DeckLength(), r.DeckWidth()/2
	front := nearRig(r, h.lead-slack)
	v.Shapes = append(
		v.Shapes,
		scene.Rect("frame-deck", "", 0, -half, long, half),
		scene.Disc("ball", -front, 0, 0.03),
	)
	w := h.wires()
	last := long
	for i := range h.lamps {
		last = math.Max(last, float64(h.lamps[i].l.Back))
	}
	if r.Drawn != nil { // each member can be clicked
		for i := range r.Drawn.Bars {
			b := &r.Drawn.Bars[i]
			class := "member-way"
			if use := h.w.Route[b.ID]; use != "" {
				class += " " + string(use)
			}
			s := scene.Line(class, b.From.X, b.From.Y, b.To.X, b.To.Y)
			s.Thing = "/trailers/" + r.Scope.Trailer + "/frame/members/" + b.ID
			v.Shapes = append(v.Shapes, s)
		}
	}
	ways, cables := w.stretches()
	for i, s := range ways {
		class := "cable"
		if cables[i] > 1 {
			class = "cable trunk"
		}
		v.Shapes = append(v.Shapes, scene.Shape{Form: scene.Polyline, Class: class, Points: s.pts[:]})
	}
	beside := map[int]int{} // lamps of one unit are drawn behind each other
	for i := range h.lamps {
		x, y := lampAt(&h.lamps[i], beside[h.lamps[i].unit])
		beside[h.lamps[i].unit]++
		d := scene.Disc("lamp "+string(levelOf(l.lights[i].bright)), x, y, 0.045)
		d.Thing = "/trailers/" + r.Scope.Trailer + "/wiring/lamps/" + h.lamps[i].id
		v.Shapes = append(v.Shapes, d)
	}
	v.Min, v.Max = scene.Point{-front - 0.15, -half - 0.2}, scene.Point{last + 0.55, half + 0.2}
	v.Sense()
	return v
}
