package rig

import (
	"math"

	"zygonos/core/facts/catalogue"
	"zygonos/core/goods"
	"zygonos/core/lang/quantity"
	"zygonos/core/lang/said"
	"zygonos/core/plan"
	"zygonos/core/sums/statics"
	"zygonos/core/sums/vessel"
)

// placing is one load on its way into the rig.
type placing struct {
	r    *Rig
	it   Item
	th   thing
	load *plan.Load
	pl   plan.Placement
	path string
	kind catalogue.LoadKind
	lot  *goods.Lot

	arm, side span    // of the bare load's centre, behind the ball and to the right
	doubt     float64 // of a place along, m
	known     bool    // whether its kind is
}

// load places one load and adds what it weighs to the beam. done holds what is placed
// already.
func (r *Rig) load(id string, pl plan.Placement, done map[string]*Item) *Item {
	l := r.Plan.Loads[id]
	q := &placing{r: r, load: &l, pl: pl, path: "/loads/" + id}
	q.shape()
	if r.DeckFront == nil {
		r.needDeckFront()
	}
	frame, lean, carrier := r.support(pl, done)
	q.th.lean = lean
	q.it, q.arm, q.side = r.place(q.th, frame, pl.At, pl.Turn)
	q.doubt = float64(plan.PlaceDoubt)
	if r.DeckFront != nil {
		q.doubt += r.DeckFront.Width() / 2
	}
	it := &q.it
	it.ID, it.Name, it.Path, it.Pinned = id, l.Name, q.path, pl.Pinned
	it.At, it.OnDeck, it.Carrier = pl.At, pl.On == plan.OnDeck, carrier
	it.Load, it.Lot = &l, q.lot
	it.PlacePath = r.LayoutPath("/placements/" + id)
	if e := l.Ends; e != nil && (!e.One || l.Mass != nil) {
		q.ends(e)
	} else {
		q.masses()
	}
	r.Items = append(r.Items, q.it)
	return &r.Items[len(r.Items)-1]
}

// shape takes the load's size and centre, stated, of its goods or of its kind.
func (q *placing) shape() {
	l := q.load
	q.kind, q.known = catalogue.LoadOf(l.Kind)
	q.th = thing{size: l.Size, centre: l.Centre, shape: "box"}
	if k := &q.kind; q.known {
		q.th.shape, q.th.typical = k.Shape, [3]float64{float64(k.Length), float64(k.Width), float64(k.Height)}
		q.th.centreLow, q.th.centreHigh, q.th.centreUp = k.CentreLow, k.CentreHigh, k.CentreUp
	}
	q.lot = goods.Of(q.r.Plan, q.path, l, q.r.Bed())
	if q.lot != nil {
		q.th.shape, q.th.centreUp = q.lot.Shape, 0.5
		if q.lot.Length > 0 { // a heap fills its bed; a cone, a pack and bags have their own size
			q.th.size, q.th.own = plan.Size{}, [3]float64{q.lot.Length, q.lot.Width, q.lot.Height}
		}
	}
	if l.Size.Length == nil && (q.lot == nil || q.lot.Length == 0) {
		q.r.rough(
			q.path+"/size/length",
			said.Say("the length of %", said.Name(l.Name, "a load")),
			said.Say("Tape it."),
		)
	}
}

// support is the frame that carries a placement, how far its place leans, rad, and its
// name where it is not the deck.
func (r *Rig) support(pl plan.Placement, done map[string]*Item) (frame point, lean float64, carrier string) {
	frame = r.deckFrame()
	switch pl.On {
	case plan.OnPart:
		part := r.Plan.Parts[pl.ID]
		slot := part.Slots[pl.Slot]
		at := slot.At
		if part.Rack != nil {
			if tier, ok := part.Rack.Tiers[slot.Tier]; ok {
				at.Up = tier.Up
			}
		}
		if part.Cradle != nil && pl.Slot == "" {
			at.Up = part.Cradle.Keel
		}
		return r.partFrame(pl.ID).at(at), slot.Leans(), part.Name
	case plan.OnLoad:
		if c := done[pl.ID]; c != nil {
			return point{c.Front, (c.Left + c.Right) / 2, c.Top}, 0, c.Name
		}
	}
	return frame, 0, ""
}

// partFrame is where a part that is on begins: its front face, middle and underside.
func (r *Rig) partFrame(id string) point {
	return r.deckFrame().at(r.Layout.Parts[id].At)
}

// add puts a mass of the load into the beam; what counts in full counts in the item too.
func (q *placing) add(path, place string, how plan.How, amount span, inMass float64, arm, side span) {
	group := ""
	if q.pl.Optional {
		group = q.it.ID
	}
	q.r.Beam.Terms = append(q.r.Beam.Terms, statics.Term{Path: path, Name: q.load.Name, How: string(how),
		Amount: amount, InMass: inMass, Arm: arm, Side: side, Place: place, Group: group})
	if inMass != 1 {
		return
	}
	if q.it.Mass == nil {
		q.it.Mass = new(span)
	}
	q.it.Mass.Nominal += amount.Nominal
	if !q.pl.Optional {
		q.it.Mass.Low += amount.Low
	}
	q.it.Mass.High += amount.High
}

// placed is a place along the trailer as closely as a thing is put there.
func (q *placing) placed(x float64) span {
	return span{Nominal: x, Low: x - q.doubt, High: x + q.doubt}
}

// aside is a place across.
func (q *placing) aside(y float64) span {
	d := float64(plan.PlaceDoubt)
	return span{Nominal: y, Low: y - d, High: y + d}
}

// lengthwise reports whether the load lies along the trailer.
func (q *placing) lengthwise() bool { return q.pl.Turn == 0 || q.pl.Turn == 180 }

// ends adds a load that was weighed end by end, its contents in: the readings' moment is
// that of all of it along its length; across it lies about its centre.
//
// Where one end alone was read, the rest of the whole mass was borne at the other.
func (q *placing) ends(e *plan.EndWeighing) {
	along := func(at length) (x, y span) {
		sx, sy, _ := q.spot(plan.Spot{Back: at})
		if q.lengthwise() {
			return q.placed(sx), q.side
		}
		return q.arm, q.aside(sy)
	}
	fx, fy := along(e.FrontAt)
	bx, by := along(e.RearAt)
	front, rear := e.Front.Range(q.r.Plan).Floats(), e.Rear.Range(q.r.Plan).Floats()
	contents := q.contents()
	if e.One {
		whole := q.load.Mass.Range(q.r.Plan).Floats()
		q.add(q.path+"/mass", "", q.load.Mass.How, whole, 1, bx, by)
		sum := whole.Nominal
		if q.load.MassCounts != plan.MassWhole {
			for _, c := range contents {
				q.add(c.path, "", c.how, c.mass, 1, bx, by)
				sum += c.mass.Nominal
			}
		}
		q.add(q.path+"/ends/front", "", e.Front.How, front, 0,
			quantity.Exactly(fx.Nominal-bx.Nominal), quantity.Exactly(fy.Nominal-by.Nominal))
		rear.Nominal = sum - front.Nominal
	} else {
		q.add(q.path+"/ends/front", "", e.Front.How, front, 1, fx, fy)
		q.add(q.path+"/ends/rear", "", e.Rear.How, rear, 1, bx, by)
	}
	m := front.Nominal + rear.Nominal
	if m <= 0 {
		q.it.Lumps = []Lump{q.it.bare(0)}
		return
	}
	// What was not named among the contents lies where the readings want it.
	x := (fx.Nominal*front.Nominal + bx.Nominal*rear.Nominal) / m
	y := (fy.Nominal*front.Nominal + by.Nominal*rear.Nominal) / m
	rest, mx, my := m, m*x, m*y
	var in []Lump
	for _, c := range contents {
		k := c.mass.Nominal
		rest, mx, my = rest-k, mx-k*c.x, my-k*c.y
		in = append(in, Lump{Mass: k, X: c.x, Y: c.y, Z: c.z})
	}
	if rest < 0.05*m { // named contents of more than was weighed: their places say nothing
		q.it.X, q.it.Y = x, y
		q.it.Lumps = []Lump{q.it.bare(m)}
		return
	}
	q.it.X, q.it.Y = mx/rest, my/rest
	q.lumps(rest, in)
}

// lumps sets what the item is made of, its bare self about its centre, and the centre of
// it all.
func (q *placing) lumps(bare float64, in []Lump) {
	q.it.Lumps = append([]Lump{q.it.bare(bare)}, in...)
	if b := BodyOf(q.it.Lumps); b.Mass > 0 {
		q.it.X, q.it.Y, q.it.Z = b.X, b.Y, b.Z
	}
}

// masses adds the load's own mass, the fluid in it and its contents.
func (q *placing) masses() {
	amount, how, ok := q.own()
	if !ok {
		q.it.Lumps = []Lump{q.it.bare(0)}
		return
	}
	place, at := q.path+"/centre/back", q.path+"/mass"
	if b := q.load.Bulk; b != nil && b.By != plan.ByMass {
		at = q.path + "/bulk"
	}
	q.add(at, place, how, amount, 1, q.arm, q.side)
	bare := amount.Nominal
	var in []Lump
	if q.lot != nil && q.lot.Contents != nil {
		in = append(in, q.fluid(q.lot.Contents))
	}
	contents := q.contents()
	most := 0.0
	for _, c := range contents {
		most += c.mass.High
	}
	for _, c := range contents {
		x, y := q.placed(c.x), q.aside(c.y)
		if q.load.MassCounts != plan.MassWhole {
			q.add(c.path, "", c.how, c.mass, 1, x, y)
		} else {
			// Counted in the whole: it lies at its place and not at the body's centre. Its
			// lever and the body's share one doubt, so that their ends belong together.
			bare -= c.mass.Nominal
			of, from := "", minus
			if most <= amount.Low {
				of, from = place, apart
			}
			q.add(c.path, of, c.how, c.mass, 0, from(x, q.arm), from(y, q.side))
		}
		in = append(in, Lump{Mass: c.mass.Nominal, X: c.x, Y: c.y, Z: c.z})
	}
	q.lumps(max(0, bare), in)
}

// apart is how far a lies beyond b where both move together: low with low, high with
// high.
func apart(a, b span) span {
	return span{Nominal: a.Nominal - b.Nominal, Low: a.Low - b.Low, High: a.High - b.High}
}

// own is the mass of the load by the best that is known; ok is false where none is.
func (q *placing) own() (amount span, how plan.How, ok bool) {
	l, r := q.load, q.r
	name := said.Name(l.Name, "a load")
	switch {
	case q.lot != nil && q.lot.Mass == nil:
		r.Needs = append(r.Needs, q.lot.Needs...)
		return amount, how, false
	case q.lot != nil:
		return *q.lot.Mass, q.lot.How, true
	case l.Mass != nil:
		return l.Mass.Range(r.Plan).Floats(), l.Mass.How, true
	case q.known:
		r.rough(
			q.path+"/mass",
			said.Say("the weight of %", name),
			said.Say("Weigh it, one end after the other if it is long."),
		)
		low, high := float64(q.kind.Low), float64(q.kind.High)
		return span{Nominal: (low + high) / 2, Low: low, High: high}, plan.Typical, true
	}
	r.need(q.path+"/mass", said.Say("the weight of %", name), said.Say("Weigh it, or look at its plate or papers."))
	return amount, how, false
}

// fluid adds a tank's fluid: level, it lies about the tank's middle.
func (q *placing) fluid(c *goods.Contents) Lump {
	it := &q.it
	x, y := (it.Front+it.Rear)/2, (it.Left+it.Right)/2
	q.add(q.path+"/tank/fill", "", plan.Typical, c.Mass, 1, q.placed(x), quantity.Exactly(y))
	if q.load.Tank != nil && q.load.Tank.Drains && !q.pl.Optional {
		q.r.Beam.Terms[len(q.r.Beam.Terms)-1].Group = it.ID + "/fluid"
		it.Mass.Low -= c.Mass.Low
	}
	l, w := it.Length(), it.Right-it.Left
	m, z := c.Mass.Nominal, it.Z
	if v := c.Vessel; v != nil && it.Lean == 0 {
		z = it.Bottom + fluidUp(v, c.Fill, it.Turn%180 == 0)
	}
	return Lump{Mass: m, X: x, Y: y, Z: z, Own: m * (l*l + w*w) / 12}
}

// bendSlosh is the sideways acceleration, shares of g, at whose tilt the height of a tank's fluid is taken.
const bendSlosh = 0.5

// fluidUp is how high over a tank's floor the centre of its fluid lies as a bend throws it aside, no higher than the
// middle of the full tank: what turns the trailer over. A tank that stands across is thrown along its length.
func fluidUp(v *vessel.Tank, fill float64, aside bool) float64 {
	_, still := v.Held(v.Level(fill))
	_, rise := v.Tilt(fill, bendSlosh, aside)
	_, full := v.Held(v.Height())
	return math.Min(full, still+rise)
}

// inside is one of a load's contents in its place.
type inside struct {
	path    string
	how     plan.How
	mass    span
	x, y, z float64
}

// contents are those whose mass is known; the others are needed.
func (q *placing) contents() []inside {
	var out []inside
	for _, id := range plan.Ordered(q.load.Contents, func(c plan.Content) int { return c.Order }) {
		c := q.load.Contents[id]
		path := q.path + "/contents/" + id + "/mass"
		if c.Mass == nil {
			if q.load.Ends == nil || q.load.Ends.One { // else it is in the readings
				q.r.need(
					path,
					said.Say(
						"the weight of % in %",
						said.Name(c.Name, "a thing"),
						said.Name(q.load.Name, "a load"),
					),
					said.Say("Weigh it or look at its label."),
				)
			}
			continue
		}
		in := inside{path: path, how: c.Mass.How, mass: c.Mass.Range(q.r.Plan).Floats()}
		in.x, in.y, in.z = q.spot(c.At)
		out = append(out, in)
	}
	return out
}

// spot is the place in the rig of a spot in the load's own frame, as the load lies and is
// turned. A spot of no height is taken to lie as high as the bare load's centre.
func (q *placing) spot(s plan.Spot) (x, y, z float64) {
	it := &q.it
	b := float64(s.Back)
	up := float64(s.Up)
	if up <= 0 {
		up = q.th.up(it.Section[1])
	}
	r, z := lay(float64(s.Right), up, it.Section[1], it.Lean, it.Top-it.Bottom)
	z += it.Bottom
	mx, my := (it.Front+it.Rear)/2, (it.Left+it.Right)/2
	switch q.pl.Turn {
	case 90:
		return mx + r, it.Right - b, z
	case 180:
		return it.Rear - b, my - r, z
	case 270:
		return mx - r, it.Left + b, z
	}
	return it.Front + b, my + r, z
}
