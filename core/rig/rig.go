// Package rig resolves a plan for one outing on one trailer into a rig: every
// load and part in its place, the trailer's own masses, and what ball, axle
// and wheels bear. A rig is read and never changed.
package rig

import (
	"maps"

	"zygonos/core/facts/catalogue"
	"zygonos/core/facts/norms"
	"zygonos/core/goods"
	"zygonos/core/lang/finding"
	"zygonos/core/lang/quantity"
	"zygonos/core/lang/said"
	"zygonos/core/parts"
	"zygonos/core/plan"
	"zygonos/core/sums/statics"
)

type (
	mass   = quantity.Mass
	length = quantity.Length
	span   = quantity.Range[float64]
)

// Rig is one outing on one trailer, resolved.
type Rig struct {
	Plan      *plan.Plan
	Scope     finding.Scope
	Rules     *norms.RuleSet
	School    *norms.School
	Trailer   *plan.Trailer
	Outing    *plan.Outing     // nil: the empty trailer
	Layout    *plan.Layout     // nil: nothing is placed
	Vehicle   *plan.TowVehicle // nil: none is named
	VehicleID string
	Mount     *plan.BallMount // that the car takes its ball on; nil: none of its own is stated

	Axle      *span // behind the ball, m; nil where not known
	AxlePath  string
	DeckFront *span // of the front board behind the ball, m
	Items     []Item
	Drawn     *Drawn // the trailer's own frame; nil: none is drawn
	EmptyWay  string // how the empty trailer is known, for the working

	Group *Group // axles without an equaliser; nil for one axle, and where they share evenly
	Beam  statics.Beam
	Bears *statics.Bears // nil where something that it takes is not known
	Needs []finding.Need // what keeps Bears from being known
	Rough []finding.Need // what was filled in with a typical figure
	Usual []finding.Need // lengths that are those of the trailer's kind, nobody having taped them

	moves []Body // of each item with all that moves with it
}

// Item is a load or part in its place.
type Item struct {
	ID, Name, Path string
	Part           bool
	Open           bool   // a frame that others stand in and under, such as a rack
	Shape          string // how it is drawn: box, hull, wheels, heap
	Front, Rear    float64
	Left, Right    float64
	Bottom, Top    float64
	X, Y, Z        float64    // centre of mass, with what is in it
	Turn           int        // as it is placed: 0, 90, 180, 270, clockwise from above
	Lean           float64    // of a hull in its place, rad about its length
	Section        [2]float64 // width and height before it leans
	Mass           *span
	OnDeck         bool
	Pinned         bool
	At             plan.Spot
	PlacePath      string // of the placement in the plan
	Carrier        string // what it stands on, where it is not the deck
	Load           *plan.Load
	Lot            *goods.Lot // loose material, tank or pack
	Lumps          []Lump     // what it is made of: itself and what is in it
}

// Tyre is what the text on the tyre's wall tells.
func (r *Rig) Tyre() norms.Tyre { return norms.ReadTyre(r.Trailer.TyreText) }

// EmptyMass is the mass of the trailer alone, as weighed or stated, or its
// kind's range; nil where not even the kind is known.
func (r *Rig) EmptyMass() *span {
	e, p := &r.Trailer.Empty, r.Plan
	sum := func(rs ...*plan.Reading) *span {
		s := span{}
		for _, x := range rs {
			if x == nil {
				return nil
			}
			v := x.Range(p).Floats()
			s = span{Nominal: s.Nominal + v.Nominal, Low: s.Low + v.Low, High: s.High + v.High}
		}
		return &s
	}
	if s := sum(e.Ball, e.Left, e.Right); s != nil {
		return s
	}
	if s := sum(e.Ball, e.Axle); s != nil {
		return s
	}
	if r.byDrawing() {
		rough := r.Rough // asked again, it says nothing twice
		s := r.drawnMass()
		r.Rough = rough
		return &s
	}
	if e.Mass != nil {
		s := e.Mass.Range(p).Floats()
		return &s
	}
	if k, ok := r.kind(); ok {
		return &span{Nominal: float64(k.Low+k.High) / 2, Low: float64(k.Low), High: float64(k.High)}
	}
	return nil
}

// Length of the item along the trailer, m.
func (i *Item) Length() float64 { return i.Rear - i.Front }

// Overlaps reports whether two items stand side by side over a common width
// and height, so that one blocks the other's way along the deck.
func (i *Item) Overlaps(o *Item) bool {
	const e = 1e-9
	if i.Open || o.Open {
		return false
	}
	return i.Left < o.Right-e && o.Left < i.Right-e && i.Bottom < o.Top-e && o.Bottom < i.Top-e
}

// Resolve places everything of an outing on a trailer. An empty outing id
// resolves the empty trailer. It returns nil where the trailer is not in the
// plan. The plan is taken to be clean.
func Resolve(p *plan.Plan, trailerID, outingID string) *Rig {
	t, ok := p.Trailers[trailerID]
	if !ok {
		return nil
	}
	r := &Rig{
		Plan:    p,
		Trailer: &t,
		Scope:   finding.Scope{Trailer: trailerID, Outing: outingID},
		Rules:   norms.Of(p.Region),
	}
	r.School = norms.SchoolOf(p.BallSchool, t.Kind, r.Rules)
	if o, ok := p.Outings[outingID]; ok {
		r.Outing = &o
		if l, ok := o.Layouts[trailerID]; ok {
			r.Layout = &l
		}
		if v, ok := p.TowVehicles[o.Vehicle]; ok {
			r.Vehicle, r.VehicleID = &v, o.Vehicle
			r.mount()
		}
	}
	r.usual()
	r.axle()
	if d := t.CouplingToDeck; d != nil {
		s := d.Range().Floats()
		r.DeckFront = &s
	}
	r.draw()
	if r.byDrawing() {
		r.emptyByDrawing()
	} else {
		r.empty()
	}
	r.parts()
	r.loads()
	r.join()
	r.group()
	r.Beam.Track = 0
	if t.Track != nil {
		r.Beam.Track = float64(t.Track.Value)
	}
	if r.Axle != nil && len(r.Needs) == 0 {
		r.Beam.Axle = *r.Axle
		if b, ok := r.Beam.Solve(); ok {
			r.Bears = &b
		}
	}
	return r
}

func (r *Rig) trailerPath(field string) string { return "/trailers/" + r.Scope.Trailer + field }

// LayoutPath is the path of the layout, or of a field in it.
func (r *Rig) LayoutPath(field string) string {
	return "/outings/" + r.Scope.Outing + "/layouts/" + r.Scope.Trailer + field
}

func (r *Rig) need(path string, says, where said.Sentence) {
	r.Needs = append(r.Needs, finding.Need{Path: path, Says: says, Where: where})
}

func (r *Rig) rough(path string, says, where said.Sentence) {
	r.Rough = append(r.Rough, finding.Need{Path: path, Says: says, Where: where})
}

// axle finds where the axle stands in this outing. A setting for the outing is
// as exact as the stated position.
func (r *Rig) axle() {
	e := r.Trailer.CouplingToAxle
	r.AxlePath = r.trailerPath("/couplingToAxle/value")
	if e == nil {
		r.need(r.trailerPath("/couplingToAxle"), said.Say("distance from {coupling} to axle"),
			said.Say("Tape from the ball's middle to the axle's middle; on a tandem to midway between the axles."))
		return
	}
	s := e.Range().Floats()
	if r.Trailer.AxleMoves != nil && r.Outing != nil {
		r.AxlePath = r.LayoutPath("/axleAt")
		if r.Layout != nil && r.Layout.AxleAt != nil {
			s = s.Plus(float64(*r.Layout.AxleAt - e.Value))
		}
	}
	r.Axle = &s
}

// moved reports how far the axle stands behind where it stood when the empty
// trailer was weighed, m; zero where it has not moved.
func (r *Rig) moved() float64 {
	if r.Axle == nil {
		return 0
	}
	at := float64(r.Trailer.CouplingToAxle.Value)
	if a := r.Trailer.Empty.AxleAt; a != nil {
		at = float64(*a)
	}
	d := r.Axle.Nominal - at
	if d < 1e-6 && d > -1e-6 {
		return 0
	}
	return d
}

// empty adds the trailer's own masses by the best that is known of them. Each
// figure that the owner has is one term, so that readings vary in the range
// and not what derives from them; docs/method/balance.md has the table.
func (r *Rig) empty() {
	e, p := &r.Trailer.Empty, r.Plan
	moved := r.moved()
	name := r.Trailer.Name
	// over gives OnAxle and Arm of a mass that stood over the axle when weighed.
	over := func() (onAxle, arm span) {
		if moved == 0 || r.Axle == nil {
			return quantity.Exactly(1.0), span{}
		}
		return span{}, quantity.Exactly(r.Axle.Nominal - moved)
	}
	add := func(field string, amount quantity.Range[mass], inMass float64, onAxle, arm, side span) {
		how := plan.Weighed
		if field == "mass" {
			how = plan.Typical
			if e.Mass != nil {
				how = e.Mass.How
			}
		}
		r.Beam.Terms = append(r.Beam.Terms, statics.Term{
			Path: r.trailerPath("/empty/" + field), Name: name, How: string(how), Amount: amount.Floats(),
			InMass: inMass, OnAxle: onAxle, Arm: arm, Side: side,
		})
	}
	ballReading := func(inMass float64) {
		at := e.Ball.ScaleAt()
		onAxle, arm := over()
		if inMass == 1 {
			add("ball", e.Ball.Range(p), 1, span{}, quantity.Exactly(at), span{})
			return
		}
		// Its weight is within the label's mass: it moves from the axle to the scale.
		add("ball", e.Ball.Range(p), 0, quantity.Exactly(-onAxle.Nominal), quantity.Exactly(at-arm.Nominal), span{})
	}
	half := 0.0
	if r.Trailer.Track != nil {
		half = float64(r.Trailer.Track.Value) / 2
	}
	onAxle, arm := over()
	m := r.massOfEmpty()
	switch {
	case e.Ball != nil && e.Left != nil && e.Right != nil:
		r.EmptyWay = "wheel by wheel and ball, weighed"
		ballReading(1)
		add("left", e.Left.Range(p), 1, onAxle, arm, quantity.Exactly(-half))
		add("right", e.Right.Range(p), 1, onAxle, arm, quantity.Exactly(half))
	case e.Ball != nil && e.Axle != nil:
		r.EmptyWay = "ball and axle, weighed"
		ballReading(1)
		add("axle", e.Axle.Range(p), 1, onAxle, arm, span{})
	case m != nil && e.Ball != nil:
		r.EmptyWay = "empty weight and ball reading"
		add("mass", *m, 1, onAxle, arm, span{})
		ballReading(0)
	case m != nil && e.Centre != nil:
		r.EmptyWay = "empty weight and centre"
		c := e.Centre.Range().Floats()
		add("mass", *m, 1, span{}, c, span{})
		r.Beam.Terms[len(r.Beam.Terms)-1].Place = r.trailerPath("/empty/centre")
	case m != nil:
		r.EmptyWay = "empty weight, and the kind's typical share on the ball"
		low, high := 0.04, 0.18
		if k, ok := r.kind(); ok {
			low, high = k.BallLow, k.BallTop
		}
		mid := (low + high) / 2
		add("mass", *m, 1, span{Nominal: 1 - mid, Low: 1 - high, High: 1 - low}, span{}, span{})
		r.Beam.Terms[len(r.Beam.Terms)-1].Place = r.trailerPath("/empty/ball")
		r.rough(r.trailerPath("/empty/ball"), said.Say("the empty trailer's {ball load}"),
			said.Say("Put a bathroom scale under the {coupling}, trailer level and empty."))
		return // the share is taken to hold wherever the axle stands
	default:
		r.need(
			r.trailerPath("/empty/mass"),
			said.Say("the empty trailer's weight"),
			said.Say(
				"It is on the plate or in the papers; a {weighbridge} shows it, or choose the kind of trailer.",
			),
		)
		return
	}
	if moved == 0 || r.Axle == nil {
		return
	}
	at := e.AxleAt
	if at == nil {
		at = &r.Trailer.CouplingToAxle.Value
	}
	g := r.Trailer.RunningGear
	if g == nil {
		r.rough(r.trailerPath("/runningGear"), said.Say("the weight of axle, springs and wheels"),
			said.Say("It moves with the axle. Weigh a wheel, or take the axle maker's figure."))
		g = &plan.MassEstimate{Value: 60, PlusMinus: new(mass(30)), How: plan.Guessed}
	}
	r.Beam.Terms = append(r.Beam.Terms, statics.Term{
		Path: r.trailerPath("/runningGear"), Name: name, How: string(g.How), Amount: g.Range(p).Floats(),
		OnAxle: quantity.Exactly(1.0), Arm: quantity.Exactly(-float64(*at)),
	})
}

// kind is the trailer's kind as stated, or the usual one for its deck.
func (r *Rig) kind() (catalogue.TrailerKind, bool) {
	deck := length(0)
	if d := r.Trailer.DeckLength; d != nil {
		deck = d.Value
	}
	return catalogue.TrailerFor(r.Trailer.Kind, deck)
}

// massOfEmpty is the stated empty mass, or the kind's typical one.
func (r *Rig) massOfEmpty() *quantity.Range[mass] {
	if m := r.Trailer.Empty.Mass; m != nil {
		s := m.Range(r.Plan)
		return &s
	}
	if k, ok := r.kind(); ok {
		if r.Trailer.Empty.Ball == nil ||
			r.Trailer.Empty.Axle == nil && (r.Trailer.Empty.Left == nil || r.Trailer.Empty.Right == nil) {
			r.rough(r.trailerPath("/empty/mass"), said.Say("the empty trailer's weight"),
				said.Say("It is on the plate or in the papers; a {weighbridge} shows it."))
		}
		return &quantity.Range[mass]{Nominal: (k.Low + k.High) / 2, Low: k.Low, High: k.High}
	}
	return nil
}

// parts adds what is on in this outing, and takes off what was on only when
// the trailer was weighed. A part that is on in both moves from its place then
// to its place now, as one term.
func (r *Rig) parts() {
	var now map[string]plan.PartOn
	now = r.Trailer.Fitted
	if r.Layout != nil && len(r.Layout.Parts) > 0 {
		now = maps.Clone(r.Layout.Parts)
		for id, on := range r.Trailer.Fitted {
			if _, own := now[id]; !own { // where an outing says otherwise, it rules
				now[id] = on
			}
		}
	}
	then := r.Trailer.Empty.Parts
	for _, id := range plan.Ordered(r.Plan.Parts, func(p plan.Part) int { return p.Order }) {
		on, isOn := now[id]
		was, wasOn := then[id]
		if !isOn && !wasOn {
			continue
		}
		part := parts.Filled(r.Plan.Parts[id])
		path := "/parts/" + id
		if part.Mass == nil {
			r.need(
				path+"/mass",
				said.Say("the weight of %", said.Name(part.Name, "a part")),
				said.Say("Weigh it on a bathroom scale."),
			)
		}
		if r.DeckFront == nil {
			r.needDeckFront()
		}
		thing := thing{size: part.Size, centre: part.Centre, shape: "part"}
		term := statics.Term{Path: path + "/mass", Name: part.Name}
		if part.Mass != nil {
			term.Amount, term.How = part.Mass.Range(r.Plan).Floats(), string(part.Mass.How)
		}
		if isOn {
			it, arm, side := r.place(thing, r.deckFrame(), on.At, on.Turn)
			it.ID, it.Name, it.Path, it.Part, it.OnDeck = id, part.Name, path, true, true
			fitting, _ := catalogue.FittingOf(part.Kind)
			it.Open = len(part.Slots) > 0 || part.Cradle != nil || part.Box != nil || fitting.Open
			it.At, it.PlacePath = on.At, r.trailerPath("/fitted/"+id)
			if r.Layout != nil {
				if _, own := r.Layout.Parts[id]; own {
					it.PlacePath = r.LayoutPath("/parts/" + id)
				}
			}
			if part.Mass != nil {
				it.Mass = &term.Amount
			}
			it.Lumps = []Lump{it.bare(term.Amount.Nominal)}
			r.Items = append(r.Items, it)
			term.InMass, term.Arm, term.Side = 1, arm, side
			if on.Optional {
				term.Group = "part " + id
				if it := &r.Items[len(r.Items)-1]; it.Mass != nil {
					it.Mass = &span{Nominal: it.Mass.Nominal, High: it.Mass.High}
				}
			}
		}
		if wasOn && term.Group != "" { // the weighing counts it in whether it comes along or not
			r.Beam.Terms = append(r.Beam.Terms, term)
			isOn = false
			term.Group, term.InMass, term.Arm, term.Side = "", 0, span{}, span{}
		}
		if wasOn {
			_, arm, side := r.place(thing, r.deckFrame(), was.At, was.Turn)
			term.InMass--
			term.Arm, term.Side = minus(term.Arm, arm), minus(term.Side, side)
			if isOn && on.Turn == was.Turn { // only how far it moved counts: its centre is the same
				term.Arm, term.Side = quantity.Exactly(
					float64(on.At.Back-was.At.Back),
				), quantity.Exactly(
					float64(on.At.Right-was.At.Right),
				)
			}
		}
		if part.Mass != nil {
			r.Beam.Terms = append(r.Beam.Terms, term)
		}
	}
}

func minus(a, b span) span {
	return span{Nominal: a.Nominal - b.Nominal, Low: a.Low - b.High, High: a.High - b.Low}
}

func (r *Rig) needDeckFront() {
	path := r.trailerPath("/couplingToDeck")
	for _, n := range r.Needs {
		if n.Path == path {
			return
		}
	}
	r.need(
		path,
		said.Say("distance from {coupling} to the {headboard}"),
		said.Say("Tape from the ball's middle to the front edge of the deck."),
	)
}

// loads adds the outing's loads, carriers before what they carry.
func (r *Rig) loads() {
	if r.Layout == nil {
		return
	}
	done := map[string]*Item{}
	var add func(id string)
	add = func(id string) {
		if done[id] != nil {
			return
		}
		pl := r.Layout.Placements[id]
		if pl.On == plan.OnLoad {
			add(pl.ID)
		}
		if it := r.load(id, pl, done); it != nil {
			done[id] = it
		}
	}
	for _, id := range plan.Ordered(r.Layout.Placements, func(plan.Placement) int { return 0 }) {
		add(id)
	}
}
