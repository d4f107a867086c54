// Package pump answers what a pump on the trailer gives at the nozzle, for how long the tank lasts, and what a wider
// or shorter hose brings. Formulas: docs/method/pump.md.
package pump

import (
	"math"

	"zygonos/core/facts/norms"
	"zygonos/core/lang/finding"
	"zygonos/core/lang/quantity"
	"zygonos/core/lang/said"
	"zygonos/core/plan"
	"zygonos/core/rig"
	"zygonos/core/sums/pipe"
)

// Stage under which the findings stand.
const Stage = "body"

// Codes of the findings made here.
const (
	CodePoint   = "pump.point"
	CodeSuction = "pump.suction"
	CodeEmpties = "pump.empties"
	CodeFrost   = "pump.frost"
	CodeRounds  = "pump.rounds"
	CodeBattery = "pump.battery"
)

// Figures of practice (confidence C), but for the loss factors (B).
const (
	smooth    = 2e-5 // m, roughness of a smooth hose: 0.01 to 0.03 mm
	inlet     = 0.5
	elbow     = 0.9
	coupling  = 0.5 // 0.2 to 0.5
	onReel    = 1.2
	drawsUp   = 6.0  // m that a pump draws up at most, its hose's losses among them
	trickle   = 0.35 // of the open flow, under which a hose or nozzle throttles it
	litre     = 1e-3
	perMinute = 1.0 / 60000 // l/min in m³/s
)

// halves is the next half metre that no jet reaches.
func halves(v float64) float64 { return math.Ceil(2*v) / 2 }

// Given is what comes out.
type Given struct {
	Litres   float64         `json:"litres"` // a minute
	Pressure finding.Measure `json:"pressure"`
	Nozzle   finding.Measure `json:"nozzle"`
	Far      finding.Measure `json:"far"` // no jet goes as far
	High     finding.Measure `json:"high"`
	Empties  *float64        `json:"empties,omitempty"` // minutes
	Places   *int            `json:"places,omitempty"`  // that a tank does
	Ways     []OtherHose     `json:"ways"`
	Curve    []PumpCurve     `json:"curve"` // over the flow
	Says     said.Sentence   `json:"says"`
}

// OtherHose is what another hose would give.
type OtherHose struct {
	Says   said.Sentence `json:"says"`
	Litres float64       `json:"litres"`
}

// PumpCurve is a flow (l/min) with what the pump gives and what the line takes, Pa.
type PumpCurve struct {
	Flow  float64 `json:"flow"`
	Gives float64 `json:"gives"`
	Takes float64 `json:"takes"`
}

func base(r *rig.Rig, code, title, field string) finding.Finding {
	return finding.Finding{
		Code: code, Stage: Stage, Scope: r.Scope, Title: said.Say(title), Outcome: finding.Holds,
		Subject: "/trailers/" + r.Scope.Trailer + "/pump/" + field,
		Source:  norms.Practice("Darcy and Weisbach, Colebrook; hoses and fittings by usual figures"),
	}
}

// lineOf is a pump with its hoses; the need says what is missing.
func lineOf(r *rig.Rig, p *plan.Pump) (l pipe.Line, need *finding.Need, err error) {
	root := "/trailers/" + r.Scope.Trailer + "/pump/"
	lacks := func(field, says, where string) *finding.Need {
		return &finding.Need{Path: root + field, Says: said.Say(says), Where: said.Say(where)}
	}
	var points []pipe.Point
	if p.TopPressure != nil {
		points = append(points, pipe.Point{Pressure: float64(*p.TopPressure)})
	}
	if p.OpenFlow != nil {
		points = append(points, pipe.Point{Flow: float64(*p.OpenFlow) * perMinute})
	}
	for _, q := range p.Points {
		points = append(points, pipe.Point{Flow: float64(q.Flow) * perMinute, Pressure: float64(q.Pressure)})
	}
	switch {
	case p.TopPressure == nil && len(p.Points) < 2:
		return l, lacks(
			"topPressure",
			"the pump's top pressure",
			"On its label: what it gives with the nozzle shut.",
		), nil
	case p.OpenFlow == nil && len(p.Points) < 2:
		return l, lacks("openFlow", "the pump's open flow", "On its label: what runs out with nothing on it."), nil
	case p.HoseLong == nil:
		return l, lacks("hoseLong", "the length of the hose", "Pace it out."), nil
	case p.HoseBore == nil:
		return l, lacks("hoseBore", "the bore of the hose", "On its wall; ½ in is 12.5 mm."), nil
	}
	if l.Curve, err = pipe.NewCurve(points...); err != nil {
		return l, nil, err
	}
	if p.InLong != nil && p.InBore != nil {
		l.Hoses = append(
			l.Hoses,
			pipe.Hose{Long: float64(*p.InLong), Bore: float64(*p.InBore), Rough: smooth, K: inlet, More: 1},
		)
	}
	more := 1.0
	if p.Reel {
		more = onReel
	}
	l.Hoses = append(l.Hoses, pipe.Hose{
		Long: float64(*p.HoseLong), Bore: float64(*p.HoseBore), Rough: smooth, More: more,
		K: elbow*float64(p.Elbows) + coupling*float64(p.Couplings),
	})
	if p.Above != nil {
		l.Up += float64(*p.Above)
	}
	if p.NozzleUp != nil {
		l.Up += float64(*p.NozzleUp)
	}
	if p.Nozzle != nil {
		l.Nozzle = float64(*p.Nozzle)
	}
	return l, nil, nil
}

// volume is what the outing's tanks hold, m³ at least.
func volume(r *rig.Rig) (m3 float64, known bool) {
	for i := range r.Items {
		it := &r.Items[i]
		if it.Lot == nil || it.Lot.Contents == nil {
			continue
		}
		m3 += it.Lot.Contents.Volume.Low
		known = true
	}
	return m3, known
}

// Check judges the pump that is stated.
func Check(r *rig.Rig) (out []finding.Finding) {
	p := r.Trailer.Pump
	if p == nil {
		return nil
	}
	f := base(r, CodePoint, "What comes out", "hoseBore")
	l, need, err := lineOf(r, p)
	switch {
	case need != nil:
		f.Outcome, f.Says, f.Needs = finding.Unknown, append(
			said.Say("Not known: "),
			append(need.Says, said.Say(".")...)...), []finding.Need{
			*need,
		}
		return []finding.Finding{f}
	case err != nil:
		f.Outcome, f.Subject = finding.Fails, "/trailers/"+r.Scope.Trailer+"/pump/topPressure"
		f.Says = said.Say(
			"The pump's curve does not fall: it gives more flow with less pressure. Look at its points again.",
		)
		return []finding.Finding{f}
	}
	run, err := l.Run()
	if err != nil {
		f.Outcome, f.Says = finding.Fails, said.Say(
			"A hose or nozzle has a size that makes no sense. Enter it again.",
		)
		return []finding.Finding{f}
	}
	flow := run.Flow / perMinute
	open := l.Curve.End() / perMinute
	f.Figure = finding.Exactly(quantity.KindFlow, flow)
	switch {
	case run.Flow == 0:
		f.Outcome = finding.Fails
		f.Says = said.Say("Nothing comes out: the pump's top pressure does not lift water that high.")
	case flow < trickle*open:
		f.Outcome, f.Tight = finding.Tight, finding.LittleRoom
		f.Says = said.Say(
			"% comes out, of % that the pump gives freely. Top pressure and open flow never come together; hose and nozzle take the rest.",
			said.Of(quantity.KindFlow, flow),
			said.Of(quantity.KindFlow, open),
		)
	default:
		f.Says = said.Say("% comes out at %. Top pressure and open flow on the label never come together.",
			said.Of(quantity.KindFlow, flow), said.Of(quantity.KindPressure, run.Pressure))
	}
	out = append(out, f)
	if g, is := suction(r, p, &l, run.Flow); is {
		out = append(out, g)
	}
	if g, is := empties(r, p, run.Flow); is {
		out = append(out, g)
	}
	for _, ask := range []func(*rig.Rig, *plan.Pump, float64) (finding.Finding, bool){rounds, battery} {
		if g, is := ask(r, p, run.Flow); is {
			out = append(out, g)
		}
	}
	if p.Frost {
		g := base(r, CodeFrost, "Frost", "drained")
		if p.Drained {
			g.Says = said.Say("Drained before frost: pump, hose and nozzle.")
		} else {
			g.Outcome, g.Tight = finding.Tight, finding.LittleRoom
			g.Says = said.Say("It stands in frost: water left in pump and hose bursts them. Drain them after each use.")
		}
		out = append(out, g)
	}
	return out
}

// suction holds the height that the pump draws up, with its hose's losses, against what it can.
func suction(r *rig.Rig, p *plan.Pump, l *pipe.Line, flow float64) (finding.Finding, bool) {
	f := base(r, CodeSuction, "Drawing up", "above")
	if p.Above == nil || *p.Above <= 0 {
		return f, false
	}
	most := drawsUp
	if p.DrawsUp != nil {
		most = math.Min(most, float64(*p.DrawsUp))
	}
	up, says := float64(*p.Above), "With the losses of its hose it lifts %; it can lift %."
	hose := len(l.Hoses) > 1
	if hose {
		up += l.Hoses[0].Loss(flow) / (pipe.Density * 9.80665)
	} else {
		says = "It lifts % plus the losses of its suction hose; it can lift %. Enter the length and bore of that hose."
	}
	f.AtMost(quantity.KindLength, up, most)
	f.Says = said.Say(says, said.Length(up), said.Length(most))
	if !hose && f.Outcome != finding.Fails {
		f.Outcome, f.Tight = finding.Tight, finding.GuessTooRough
		need := func(field, says, where string) {
			path := "/trailers/" + r.Scope.Trailer + "/pump/" + field
			f.Needs = append(f.Needs, finding.Need{Path: path, Says: said.Say(says), Where: said.Say(where)})
		}
		if p.InLong == nil {
			need("inLong", "the length of the suction hose", "From the water to the pump.")
		}
		if p.InBore == nil {
			need("inBore", "the bore of the suction hose", "On its wall; ¾ in is 19 mm.")
		}
	}
	if f.Outcome == finding.Fails {
		f.Says = append(f.Says, said.Say(" It runs dry and fails: stand it nearer to the water, or use a wider suction hose.")...)
	}
	return f, true
}

// empties says how long the tank lasts, and for how many places.
func empties(r *rig.Rig, p *plan.Pump, flow float64) (finding.Finding, bool) {
	f := base(r, CodeEmpties, "How long the tank lasts", "litres")
	m3, known := volume(r)
	if !known || !(flow > 0) {
		return f, false
	}
	minutes := m3 / flow / 60
	f.Figure = finding.Exactly(quantity.KindTime, minutes*60)
	f.Says = said.Say("The tank lasts at least %.", said.Of(quantity.KindTime, minutes*60))
	if p.Litres != nil {
		f.Says = append(
			f.Says,
			said.Say(
				" That does % places of %.",
				said.Of(quantity.KindCount, math.Floor(m3/litre/float64(*p.Litres)+1e-9)),
				said.Of(quantity.KindFuel, float64(*p.Litres)),
			)...)
	}
	if p.RunsFor != nil && *p.RunsFor < minutes {
		f.Outcome, f.Tight = finding.Tight, finding.LittleRoom
		f.Says = append(
			f.Says,
			said.Say(
				" The pump needs a rest every %: it gets too hot.",
				said.Of(quantity.KindTime, *p.RunsFor*60),
			)...)
	}
	return f, true
}

// bores of hoses that are sold, m.
var bores = []float64{0.008, 0.010, 0.0125, 0.015, 0.019, 0.025, 0.032, 0.038, 0.050, 0.065, 0.075}

// Show is what comes out, and what another hose would bring; nil where it is not known.
func Show(r *rig.Rig) *Given {
	if r == nil || r.Trailer.Pump == nil {
		return nil
	}
	p := r.Trailer.Pump
	l, need, err := lineOf(r, p)
	if need != nil || err != nil {
		return nil
	}
	run, err := l.Run()
	if err != nil {
		return nil
	}
	far, high := run.Reach()
	m := func(k quantity.Kind, v float64) finding.Measure { return *finding.Exactly(k, v) }
	out := &Given{
		Litres: run.Flow / perMinute, Pressure: m(quantity.KindPressure, run.Pressure), Nozzle: m(quantity.KindPressure, run.Nozzle),
		Far: m(quantity.KindLength, halves(far)), High: m(quantity.KindLength, halves(high)),
		Ways: []OtherHose{}, Curve: []PumpCurve{},
	}
	if m3, ok := volume(r); ok && run.Flow > 0 {
		minutes := m3 / run.Flow / 60
		out.Empties = &minutes
		if p.Litres != nil {
			n := int(m3/litre/float64(*p.Litres) + 1e-9)
			out.Places = &n
		}
	}
	last := len(l.Hoses) - 1
	other := func(says said.Sentence, h pipe.Hose) {
		n := l
		n.Hoses = append(append([]pipe.Hose{}, l.Hoses[:last]...), h)
		if got, err := n.Run(); err == nil && got.Flow > run.Flow*1.02 {
			out.Ways = append(out.Ways, OtherHose{says, got.Flow / perMinute})
		}
	}
	h := l.Hoses[last]
	for _, b := range bores {
		if b > h.Bore*1.01 {
			wider := h
			wider.Bore = b
			other(said.Say("a hose of % instead of %", said.Length(b), said.Length(h.Bore)), wider)
			break
		}
	}
	shorter := h
	shorter.Long /= 2
	other(said.Say("half of the hose, %", said.Length(shorter.Long)), shorter)
	if p.Reel {
		off := h
		off.More = 1
		other(said.Say("the hose off its reel"), off)
	}
	const n = 40
	for i := range n + 1 {
		q := l.Curve.End() * float64(i) / n
		out.Curve = append(out.Curve, PumpCurve{q / perMinute, l.Curve.At(q), l.Wants(q)})
	}
	return out
}
