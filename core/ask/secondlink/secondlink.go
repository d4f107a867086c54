// Package secondlink answers whether the second link holds the trailer when the coupling lets go:
// chains or cables, strong enough, long enough to turn, short enough to keep off the ground.
// Formulas: docs/method/secondlink.md.
package secondlink

import (
	"math"

	"zygonos/core/facts/norms"
	"zygonos/core/lang/finding"
	"zygonos/core/lang/quantity"
	"zygonos/core/lang/said"
	"zygonos/core/plan"
	"zygonos/core/rig"
)

// Stage under which the findings stand.
const Stage = "trailer"

// Codes of the findings made here.
const (
	CodeStrength = "link.strength"
	CodeEye      = "link.eye"
	CodeCrossed  = "link.crossed"
	CodeTurn     = "link.turn"
	CodeGround   = "link.ground"
	CodeFall     = "link.fall"
)

// Figures of practice (confidence C).
const (
	hookBreaks = 3.0         // a hook or shackle breaks at so many times what is marked on it, at least
	wantedTurn = math.Pi / 2 // where the owner asks for no other angle
	overGround = 0.10        // m that it hangs clear of the road
	littleRoom = 0.03        // m
	headBelow  = 0.08        // m, of the coupling's head below the ball's middle
	mostTurn   = 110 * math.Pi / 180
)

// The car's eye where it is not stated: before the ball, beside it, below it (m, C), usual, least
// and most.
var (
	usualAhead = [3]float64{0.08, 0.03, 0.15}
	usualAside = [3]float64{0.10, 0.05, 0.20}
	usualBelow = [3]float64{0.05, 0, 0.10}
)

// Check judges the second link.
func Check(r *rig.Rig) []finding.Finding {
	t := r.Trailer
	none := t.Chains != nil && *t.Chains == 0
	if t.SecondLink == nil && (t.Chains == nil || none) || none {
		return nil
	}
	c := check{r: r, link: t.SecondLink, path: "/trailers/" + r.Scope.Trailer + "/secondLink"}
	if c.link == nil {
		c.link = &plan.SecondLink{}
	}
	out := []finding.Finding{c.strength()}
	out = append(out, c.eye()...)
	if t.Chains != nil && *t.Chains > 1 {
		out = append(out, c.crossed())
	}
	switch long, back := c.link.Length != nil, c.link.Back != nil; {
	case long && back:
		out = append(out, c.turn(), c.ground())
		if f, ok := c.falls(); ok {
			out = append(out, f)
		}
	case long || back:
		out = append(out, c.half(long))
	}
	return out
}

// half asks for the other of its length and the place of its eye.
func (c *check) half(long bool) finding.Finding {
	f := c.base(CodeTurn, "{Chains}: room to turn")
	need := c.need("length", "its length", "From the trailer's eye to the hook.")
	if long {
		need = c.need("back", "where its eye is", "Tape from the ball's middle back to it.")
	}
	f.Lacks("Whether it lets the trailer turn and stays off the road", need)
	return f
}

type check struct {
	r    *rig.Rig
	link *plan.SecondLink
	path string
}

func (c *check) base(code, title string) finding.Finding {
	return finding.Finding{
		Code: code, Stage: Stage, Scope: c.r.Scope, Gate: finding.GateGo, Subject: c.path,
		Title: said.Say(title), Outcome: finding.Holds, Source: norms.Practice("second link"),
	}
}

func (c *check) need(field, says, where string) finding.Need {
	return finding.Need{Path: c.path + "/" + field, Says: said.Say(says), Where: said.Say(where)}
}

// mass is what each of them must hold, kg: the plate's gross, or what the trailer weighs laden
// where that is more or the plate is not known.
func (c *check) mass() (kg float64, ok bool) {
	if m := c.r.Total(); m != nil {
		kg, ok = m.High, true
	}
	if l := c.r.Trailer.Label; l != nil && l.Counts == plan.CountsGross {
		kg, ok = max(kg, float64(l.Value)), true
	}
	return kg, ok
}

// part is one piece of the link with what it breaks at, kg.
type part struct {
	name   string
	breaks float64
	how    string // of the working
}

// parts lists what is known of the chain, its hook and its bolts.
func (c *check) parts() (out []part, sure bool) {
	l := c.link
	sure = true
	chain, thick := "the chain", float64(l.Thick)
	if l.Kind == plan.LinkCable {
		chain = "the cable"
	}
	switch {
	case l.Breaks != nil:
		out = append(out, part{chain, float64(*l.Breaks), "stated"})
	case thick > 0 && l.Kind == plan.LinkCable:
		out = append(out, part{chain, norms.CableBreaks(thick) / quantity.Gravity, "0.8·0.33·d²·1570 MPa"})
	case thick > 0 && l.Grade != "":
		out = append(out, part{chain, norms.ChainBreaks(l.Grade, thick) / quantity.Gravity, "π/2·d²·σ"})
	case thick > 0: // no mark: the weakest grade
		out = append(out, part{chain, norms.ChainBreaks("30", thick) / quantity.Gravity, "π/2·d²·σ, grade 30"})
		sure = false
	}
	if l.Hook != nil {
		out = append(out, part{"its hook or shackle", hookBreaks * float64(*l.Hook), "3 × what is marked"})
	}
	if f := l.Bolted; f != nil && f.Bolt > 0 {
		grade, known := norms.BoltOf(f.Grade)
		n := float64(max(1, f.Bolts))
		out = append(
			out,
			part{"the bolts of its eye", n * grade.ShearOf(float64(f.Bolt)) / quantity.Gravity, "0.6·f·A"},
		)
		sure = sure && known
	}
	return out, sure
}

// strength holds the weakest piece against the laden trailer.
func (c *check) strength() finding.Finding {
	f := c.base(CodeStrength, "{Chains}: strength")
	f.Source = c.r.Rules.LinkStrength
	kg, known := c.mass()
	all, sure := c.parts()
	chain := len(all) > 0 && (all[0].name == "the chain" || all[0].name == "the cable")
	if !known || !chain {
		f.Outcome = finding.Unknown
		f.Says = said.Say("{Chains}: whether it is strong enough is not known.")
		if !chain {
			f.Needs = append(f.Needs, c.need("thick", "the chain's or cable's thickness",
				"Measure one link's wire, or the cable; a tag is better than both."))
		}
		if !known {
			f.Needs = append(f.Needs, finding.Need{
				Path: "/trailers/" + c.r.Scope.Trailer + "/label", Says: said.Say("the trailer's plate"),
				Where: said.Say("Look at the {drawbar} or the frame's right side."),
			})
		}
		return f
	}
	weak := all[0]
	for _, p := range all[1:] {
		if p.breaks < weak.breaks {
			weak = p
		}
	}
	f.AtMost(quantity.KindMass, kg, weak.breaks)
	untold := c.untold()
	if (!sure || len(untold) > 0) && f.Outcome == finding.Holds {
		f.Outcome, f.Tight = finding.Tight, finding.GuessTooRough
		f.Needs = untold
	}
	name := said.Piece{Text: weak.name}
	switch {
	case f.Outcome == finding.Fails:
		f.Says = said.Say(
			"{Chains}: % breaks at about %; each must hold the laden trailer's %. Fit a stronger one.",
			name,
			said.Mass(weak.breaks),
			said.Mass(kg),
		)
	case !sure:
		f.Says = said.Say(
			"{Chains}: % breaks at % at least, taken as the weakest grade since it is unmarked; the trailer weighs %. Read the marks.",
			name,
			said.Mass(weak.breaks),
			said.Mass(kg),
		)
	default:
		f.Says = said.Say("{Chains}: the weakest part is %, which breaks at about %; the laden trailer weighs %.",
			name, said.Mass(weak.breaks), said.Mass(kg))
	}
	if len(f.Needs) > 0 {
		f.Says = append(f.Says, said.Say(" Not entered: ")...)
		f.Says = append(append(f.Says, finding.Takes(f.Needs)...), said.Piece{Text: "."})
	}
	f.HasWork, f.Work = true, func() []finding.Step {
		var out []finding.Step
		for _, p := range all {
			out = append(out, finding.Step{
				Symbol: "F", Says: said.Say("% breaks at", said.Piece{Text: p.name}), Formula: "F = " + p.how,
				Result: finding.Exactly(quantity.KindMass, p.breaks), Source: f.Source,
			})
		}
		return out
	}
	return f
}

// untold are the pieces of which nothing is stated: what is strong elsewhere may give there.
func (c *check) untold() []finding.Need {
	var out []finding.Need
	if c.link.Hook == nil {
		out = append(out, c.need("hook", "its hook or shackle", "The limit is stamped on it."))
	}
	if b := c.link.Bolted; (b == nil || b.Bolt <= 0) && !c.link.Welded {
		out = append(out, c.need("bolted/bolt", "how its eye is fixed", "Look where it hangs on the {drawbar}: bolts, or a weld."))
	}
	return out
}

// eye tells what cannot be computed of the eye on the trailer.
func (c *check) eye() []finding.Finding {
	l := c.link
	var out []finding.Finding
	if l.Welded && !l.Seen {
		f := c.base(CodeEye, "{Chains}: weld of the eye")
		f.Outcome = finding.Unknown
		f.Says = said.Say("A weld is not judged here: let a competent welder look at the eye of the second link.")
		if kg, ok := c.mass(); ok {
			f.Says = said.Say("A weld is not judged here: let a competent welder look at the eye. It must hold %.",
				said.Of(quantity.KindForce, kg*quantity.Gravity))
		}
		f.Needs = []finding.Need{c.need("seen", "that a welder looked at the eye", "Ask a competent welder.")}
		out = append(out, f)
	}
	if l.TiesToo {
		f := c.base(CodeEye, "{Chains}: one eye for two")
		f.Outcome, f.Tight = finding.Tight, finding.LittleRoom
		f.Says = said.Say(
			"The second link's eye also takes a lashing. Tie to another point: one worn eye would lose both.",
		)
		out = append(out, f)
	}
	return out
}

func (c *check) crossed() finding.Finding {
	f := c.base(CodeCrossed, "{Chains}: crossed")
	switch x := c.link.Crossed; {
	case x == nil:
		f.Outcome = finding.Unknown
		f.Says = said.Say("{Chains}: are they crossed under the {coupling}?")
		f.Needs = []finding.Need{
			c.need("crossed", "whether they are crossed", "Look under the {coupling}, hitched."),
		}
	case *x:
		f.Says = said.Say("Crossed under the {coupling}, where they catch it.")
	default:
		f.Outcome = finding.Fails
		f.Says = said.Say("Cross them under the {coupling}, left to right, so that they catch it.")
	}
	return f
}

// hangs are the ways in which it may hang: as stated or usual first, then with what is not stated at
// the ends of what is usual.
func (c *check) hangs() []Hang {
	l := c.link
	h := Hang{
		Ahead: usualAhead[0], CarAside: usualAside[0], CarUp: c.r.BallHeight() - usualBelow[0],
		Back: float64(*l.Back), Length: float64(*l.Length), Crossed: l.Crossed != nil && *l.Crossed,
	}
	if d := c.r.Trailer.Drawbar; d != nil {
		h.Back += float64(d.Longer)
	}
	if l.Aside != nil {
		h.Aside = float64(*l.Aside)
	}
	h.Up = h.CarUp
	if l.Up != nil {
		h.Up = float64(*l.Up)
	}
	single := c.r.Trailer.Chains != nil && *c.r.Trailer.Chains == 1
	if l.CarAside != nil {
		h.CarAside = float64(*l.CarAside)
	} else if single {
		h.CarAside = 0
	}
	out := []Hang{h}
	for _, ahead := range usualAhead[1:] {
		for _, aside := range usualAside[1:] {
			for _, below := range usualBelow[1:] {
				o := h
				o.Ahead, o.CarUp = ahead, c.r.BallHeight()-below
				if l.CarAside == nil && !single {
					o.CarAside = aside
				}
				if l.Up == nil {
					o.Up = o.CarUp
				}
				out = append(out, o)
				if l.Aside == nil && !single { // its eyes may stand apart
					o.Aside = usualAside[2]
					out = append(out, o)
				}
				if l.Crossed == nil && !single {
					o.Crossed = true
					out = append(out, o)
				}
			}
		}
	}
	return out
}

// over is a figure of all the ways in which it may hang.
func over(hangs []Hang, of func(*Hang) float64) quantity.Range[float64] {
	v := of(&hangs[0])
	out := quantity.Exactly(v)
	for i := range hangs {
		v = of(&hangs[i])
		out.Low, out.High = min(out.Low, v), max(out.High, v)
	}
	return out
}

// longer adds that the drawbar is to be lengthened, which carries the eye away from the car.
func (c *check) longer(says said.Sentence) said.Sentence {
	if d := c.r.Trailer.Drawbar; d != nil && d.Longer > 0 {
		return append(says, said.Say(" The longer {drawbar} takes its eye % farther back: move it forward again.",
			said.Length(d.Longer))...)
	}
	return says
}

// turn holds its length against the longest way on the turn that is asked for.
func (c *check) turn() finding.Finding {
	f := c.base(CodeTurn, "{Chains}: room to turn")
	wanted := wantedTurn
	if a := c.r.Trailer.TurnTo; a != nil {
		wanted = *a
	}
	hangs := c.hangs()
	takes := over(hangs, func(h *Hang) float64 { return h.Takes(wanted) })
	f.Figure, f.Limit = finding.Of(
		quantity.KindLength,
		takes,
	), finding.Exactly(
		quantity.KindLength,
		hangs[0].Length,
	)
	margin := (hangs[0].Length - takes.Nominal) / hangs[0].Length
	f.Margin = &margin
	f.Outcome, f.Tight = finding.Under(takes, hangs[0].Length, littleRoom/hangs[0].Length)
	angle := said.Of(quantity.KindAngle, wanted)
	switch {
	case f.Outcome == finding.Fails:
		f.Says = c.longer(
			said.Say(
				"{Chains}: pulled tight at %; a turn to % takes %, and it is % long. Lengthen it, or move its eye nearer.",
				said.Of(
					quantity.KindAngle,
					hangs[0].TurnsTo(mostTurn),
				),
				angle,
				said.Length(takes.Nominal),
				said.Length(hangs[0].Length),
			),
		)
	case f.Tight == finding.GuessTooRough:
		f.Says = said.Say("{Chains}: a turn to % takes % to %, and it is % long. Turn slowly once by hand and look.",
			angle, said.Length(takes.Low), said.Length(takes.High), said.Length(hangs[0].Length))
	default:
		f.Says = said.Say(
			"{Chains}: a turn to % takes % of its %.",
			angle,
			said.Length(takes.Nominal),
			said.Length(hangs[0].Length),
		)
	}
	return f
}

// atLeast judges a height that must not be less than a limit, m.
func atLeast(f *finding.Finding, v quantity.Range[float64], limit float64) {
	f.Figure, f.Limit = finding.Of(quantity.KindLength, v), finding.Exactly(quantity.KindLength, limit)
	margin := v.Nominal - limit
	f.Margin = &margin
	switch {
	case v.Nominal < limit-1e-9:
		f.Outcome = finding.Fails
	case v.Low < limit-1e-9:
		f.Outcome, f.Tight = finding.Tight, finding.GuessTooRough
	case v.Nominal < limit+littleRoom:
		f.Outcome, f.Tight = finding.Tight, finding.LittleRoom
	}
}

// ground looks how far it hangs over the road, straight ahead.
func (c *check) ground() finding.Finding {
	f := c.base(CodeGround, "{Chains}: over the road")
	low := over(c.hangs(), func(h *Hang) float64 { return h.Lowest() })
	atLeast(&f, low, overGround)
	switch {
	case f.Outcome == finding.Fails && low.Nominal <= 0:
		f.Says = said.Say("{Chains}: it drags on the road. Shorten it, or hang it up twisted.")
	case f.Outcome == finding.Fails:
		f.Says = said.Say("{Chains}: it hangs down to % above the road; leave %. Shorten it by a link or two.",
			said.Length(low.Nominal), said.Length(overGround))
	default:
		f.Says = said.Say("{Chains}: it hangs % above the road.", said.Length(low.Nominal))
	}
	return f
}

// falls looks whether it keeps the coupling off the road.
func (c *check) falls() (f finding.Finding, ok bool) {
	if c.r.Axle == nil {
		return f, false
	}
	f = c.base(CodeFall, "{Chains}: catching the {coupling}")
	hangs := c.hangs()
	if _, ok := hangs[0].Falls(c.r.Axle.Nominal); !ok {
		return f, false // it is too short: the turn says so
	}
	over := over(hangs, func(h *Hang) float64 {
		fall, ok := h.Falls(c.r.Axle.Nominal)
		if !ok {
			fall = 0
		}
		return c.r.BallHeight() - headBelow - fall
	})
	atLeast(&f, over, 0)
	if f.Outcome == finding.Fails {
		f.Says = said.Say(
			"{Chains}: if the {coupling} lets go, it comes down on the road. Shorten it as far as turning allows.",
		)
	} else {
		f.Says = said.Say("{Chains}: if the {coupling} lets go, it is held % above the road.", said.Length(over.Nominal))
	}
	return f, true
}
