// Package shift answers how a heavy thing without wheels gets on the trailer: what each way takes in
// force and people, and what the trailer does meanwhile. Formulas: docs/method/shift.md.
package shift

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

// Stage under which the findings stand.
const Stage = "ramps"

// Codes of the findings made here.
const (
	CodeForce = "shift.force"
	CodeTip   = "shift.tip"
	CodeForks = "shift.forks"
)

// Figures of practice (confidence C).
const (
	personPush = 25.0               // kg that one pushes or draws for a while
	truckBears = 0.3                // of the weight on the handle of a tilted hand truck, at worst
	startMore  = 1.2                // to begin to move
	steepest   = 15 * math.Pi / 180 // that a heavy thing is pushed up
)

// kind is a way with its friction or rolling, a share of the weight, at its worst.
type kind struct {
	with  plan.ShiftWith
	name  string
	drag  float64
	rolls bool // it runs away by itself on a slope
	care  string
}

var kinds = []kind{
	{plan.BySliding, "slide it on planks", 0.5, false, "Hands flat on it, never under its edge."},
	{
		plan.BySkids,
		"slide it on plastic or soap",
		0.2,
		false,
		"It slides back just as easily: put a chock behind it at each stop.",
	},
	{
		plan.ByRollers,
		"rollers of pipe on planks",
		0.06,
		true,
		"Fingers off the rollers; one person guides, nobody stands below it.",
	},
	{plan.BySkates, "skates under its corners", 0.04, true, "A line from above holds it; nobody stands below it."},
	{
		plan.ByHandTruck,
		"a hand truck, strapped on",
		0.05,
		true,
		"Up backwards, pulled; the one below only guides and steps aside.",
	},
	{
		plan.ByJacks,
		"jack it up and back the trailer under it",
		0,
		false,
		"Blocks under it at every step; never any part of you under it.",
	},
	{
		plan.ByHoist,
		"lift it with a hoist and back under it",
		0,
		false,
		"Nobody under it; a line on it against swinging.",
	},
	{
		plan.ByForks,
		"set it on with forks from the side",
		0,
		false,
		"Feet clear; forks down before anyone comes near.",
	},
}

// Way is one way to get the thing on, side by side with the others.
type Way struct {
	With   plan.ShiftWith   `json:"with"`
	Name   string           `json:"name"`
	Force  *finding.Measure `json:"force"` // along the planks, or lifted, kg
	People int              `json:"people,omitempty"`
	Care   string           `json:"care"`
}

// Needs is what a way takes along planks of an angle, kg: startMore·m·(sin θ + μ·cos θ); a hand truck also
// bears on its handle; jacks lift one end, half of it.
func Needs(with plan.ShiftWith, mass, angle float64) float64 {
	i := slices.IndexFunc(kinds, func(k kind) bool { return k.with == with })
	if i < 0 {
		return 0
	}
	switch with {
	case plan.ByJacks:
		return mass / 2
	case plan.ByHoist, plan.ByForks:
		return mass
	}
	along := startMore * mass * (math.Sin(angle) + kinds[i].drag*math.Cos(angle))
	if with == plan.ByHandTruck {
		return math.Max(along, truckBears*mass)
	}
	return along
}

// task is the thing that is moved.
type task struct {
	r     *rig.Rig
	s     *plan.Shift
	it    *rig.Item
	mass  float64
	angle float64
	path  string
}

// of finds it; nil with what is missing.
func of(r *rig.Rig) (*task, []finding.Need) {
	s := r.Layout.Shift
	t := &task{r: r, s: s, path: r.LayoutPath("/shift")}
	for i := range r.Items {
		if it := &r.Items[i]; !it.Part && it.ID == s.Load {
			t.it = it
		}
	}
	var needs []finding.Need
	if t.it == nil {
		return nil, []finding.Need{
			{
				Path:  t.path + "/load",
				Says:  said.Say("what is moved"),
				Where: said.Say("Choose one of this outing's loads."),
			},
		}
	}
	if t.it.Mass == nil {
		needs = append(
			needs,
			finding.Need{
				Path:  t.it.Path + "/mass",
				Says:  said.Say("the weight of %", said.Name(t.it.Name, "the load")),
				Where: said.Say("Its plate, its papers, or a scale under each end."),
			},
		)
	}
	if r.Trailer.DeckHeight == nil {
		needs = append(
			needs,
			finding.Need{Path: "/trailers/" + r.Scope.Trailer + "/deckHeight", Says: said.Say("the deck's height"),
				Where: said.Say("Tape from the ground to the deck.")},
		)
	}
	if len(needs) > 0 {
		return nil, needs
	}
	t.mass = t.it.Mass.High
	planks := 2.4
	if s.Planks != nil {
		planks = float64(*s.Planks)
	}
	t.angle = math.Asin(min(1, r.DeckHeight()/planks))
	return t, nil
}

// Ways compares all ways for the thing that is stated; nil where there is none.
func Ways(r *rig.Rig) []Way {
	if r.Layout == nil || r.Layout.Shift == nil {
		return nil
	}
	t, _ := of(r)
	if t == nil {
		return nil
	}
	var out []Way
	for _, k := range kinds {
		w := Way{
			With:  k.with,
			Name:  k.name,
			Force: finding.Exactly(quantity.KindMass, Needs(k.with, t.mass, t.angle)),
			Care:  k.care,
		}
		if k.drag > 0 {
			w.People = int(math.Ceil(w.Force.Value / personPush))
		}
		out = append(out, w)
	}
	return out
}

// Check judges the way that was chosen.
func Check(r *rig.Rig) []finding.Finding {
	if r.Layout == nil || r.Layout.Shift == nil {
		return nil
	}
	base := func(code, title string) finding.Finding {
		return finding.Finding{
			Code:    code,
			Stage:   Stage,
			Scope:   r.Scope,
			Subject: r.LayoutPath("/shift"),
			Title:   said.Say(title),
			Outcome: finding.Holds,
			Source:  norms.Practice("25 kg a person; friction at its worst"),
		}
	}
	t, missing := of(r)
	if t == nil {
		f := base(CodeForce, "Getting a heavy thing on")
		f.Outcome, f.Needs, f.Says = finding.Unknown, missing, said.Say("What it takes to get it on is not known.")
		return []finding.Finding{f}
	}
	out := []finding.Finding{t.force(base(CodeForce, "Getting a heavy thing on"))}
	if f, ok := t.tips(base(CodeTip, "Trailer while it comes on")); ok {
		out = append(out, f)
	}
	if t.s.With == plan.ByForks {
		out = append(out, t.forks(base(CodeForks, "Forks from the side")))
	}
	return out
}

func (t *task) name() said.Piece { return said.Name(t.it.Name, "the load") }

// force holds what the way takes against who pushes, or what lifts.
func (t *task) force(f finding.Finding) finding.Finding {
	if t.s.With == "" {
		f.Outcome, f.Says = finding.Unknown, said.Say("How is % moved? The ways stand side by side.", t.name())
		f.Needs = []finding.Need{
			{Path: t.path + "/with", Says: said.Say("the way it is moved"), Where: said.Say("Choose one.")},
		}
		return f
	}
	kg := Needs(t.s.With, t.mass, t.angle)
	lifted := t.s.With == plan.ByJacks || t.s.With == plan.ByHoist || t.s.With == plan.ByForks
	if lifted {
		if t.s.Takes == nil {
			f.Outcome, f.Figure = finding.Unknown, finding.Exactly(quantity.KindMass, kg)
			f.Says = said.Say("It lifts % of %. What can the jack, hoist or fork take there?", said.Mass(kg), t.name())
			f.Needs = []finding.Need{
				{
					Path:  t.path + "/takes",
					Says:  said.Say("what jack, hoist or fork takes"),
					Where: said.Say("On its plate, at that reach."),
				},
			}
			return f
		}
		f.AtMost(quantity.KindMass, kg, float64(*t.s.Takes))
		f.Says = said.Say("It lifts % of %; it can take %.", said.Mass(kg), t.name(), said.Mass(*t.s.Takes))
		return f
	}
	people := max(1, t.s.People)
	f.AtMost(quantity.KindMass, kg, personPush*float64(people))
	f.Says = said.Say(
		"% takes % up planks of %: a push for %, % there.",
		t.name(),
		said.Mass(kg),
		said.Of(quantity.KindAngle, t.angle),
		said.Counted(int(math.Ceil(kg/personPush)), "person", "people"),
		said.Count(people),
	)
	switch {
	case f.Outcome == finding.Fails:
		f.Says = append(f.Says, said.Say(" Use a winch or a puller from in front, longer planks, or another way.")...)
	case t.angle > steepest:
		f.Outcome, f.Tight = finding.Tight, finding.LittleRoom
		f.Says = append(f.Says, said.Say(" That is steep: use longer planks, and a line that holds it.")...)
	}
	return f
}

// tips tells what the ball bears with the thing at the tail's edge, R = R₀ + m·(L − x)/L, and whether the
// trailer tips.
func (t *task) tips(f finding.Finding) (finding.Finding, bool) {
	r := t.r
	if r.Bears == nil || r.Axle == nil || t.s.With == plan.ByForks || t.s.With == plan.ByJacks || t.s.With == plan.ByHoist && !t.s.Unhitched {
		return f, false
	}
	_, rear := r.Deck()
	l := r.Axle.Nominal
	without := r.Bears.Ball.Low - t.mass*(l-t.it.X)/l
	ball := without + t.mass*(l-rear)/l
	f.Figure, f.Limit = finding.Exactly(quantity.KindMass, ball), finding.Exactly(quantity.KindMass, 0.0)
	switch {
	case ball >= 0:
		f.Says = said.Say("With % at the tail's edge, % stays on the ball.", t.name(), said.Mass(ball))
	case t.s.Propped:
		f.Says = said.Say(
			"With % at the tail's edge, the ball is lifted with %; the props take that.",
			t.name(),
			said.Mass(-ball),
		)
	case t.s.Unhitched:
		f.Outcome = finding.Fails
		f.Says = said.Say(
			"With % at the tail's edge the trailer tips: the ball is % short. Set props under the tail first.",
			t.name(),
			said.Mass(-ball),
		)
	default:
		f.Outcome, f.Tight = finding.Tight, finding.LittleRoom
		f.Says = said.Say(
			"With % at the tail's edge, the car's ball is lifted with %: set props under the tail and check the latch.",
			t.name(),
			said.Mass(-ball),
		)
	}
	return f, true
}

// forks tells what stands in the way of forks from the side.
func (t *task) forks(f finding.Finding) finding.Finding {
	r := t.r
	side := r.Trailer.SideHeight
	wheels := r.Trailer.Track != nil && float64(r.Trailer.Track.Value) > r.DeckWidth()
	over := t.it.Front < r.LastAxle()+0.4 && t.it.Rear > r.AxlesAt()[0]-0.4
	switch {
	case side != nil && *side > 0.05:
		f.Outcome, f.Tight = finding.Tight, finding.LittleRoom
		f.Says = said.Say(
			"The sides are % high: take that side off, or lift % over it.",
			said.Length(*side),
			t.name(),
		)
	case wheels && over:
		f.Outcome, f.Tight = finding.Tight, finding.LittleRoom
		f.Says = said.Say(
			"Wheels beside the deck keep the forks away from where % stands: set it down in front of or behind them and shift it.",
			t.name(),
		)
	default:
		f.Says = said.Say("Nothing is in the forks' way; put battens under it so that they come out again.")
	}
	return f
}

// Ticks are the card's lines for the way that was chosen.
func Ticks(r *rig.Rig) []finding.Tick {
	if r.Layout == nil || r.Layout.Shift == nil || r.Layout.Shift.With == "" {
		return nil
	}
	t, _ := of(r)
	if t == nil {
		return nil
	}
	add := func(id string, s said.Sentence) finding.Tick {
		return finding.Tick{Under: finding.UnderLoading, ID: "shift-" + id, Says: s}
	}
	out := []finding.Tick{add("chock", said.Say("Chock both wheels, hitched or not."))}
	if _, ok := t.tips(finding.Finding{}); ok {
		out = append(out, add("prop", said.Say("Props under the tail, touching.")))
	}
	for _, k := range kinds {
		if k.with == t.s.With {
			out = append(out, add("care", said.Say(k.care)))
			if k.rolls {
				out = append(
					out,
					add("line", said.Say("A line from in front, kept tight, that holds % on its own.", t.name())),
				)
			}
		}
	}
	return append(out, add("place", said.Say("% where the plan has it, tied before the props come off.", t.name())))
}
