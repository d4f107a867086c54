package plan

import (
	"slices"

	"zygonos/core/facts/catalogue"
	"zygonos/core/facts/norms"
	"zygonos/core/lang/quantity"
)

// TiePoint is a place on the trailer that takes a lashing, in the deck's frame: Back
// behind the headboard, Right of the middle, Up over the deck.
type TiePoint struct {
	Order  int    `json:"order"`
	Kind   string `json:"kind,omitempty"` // key into catalogue.AnchorKinds
	At     Spot   `json:"at"`
	Rating *mass  `json:"rating,omitempty"` // working load limit

	Fastening *Fastening `json:"fastening,omitempty"` // where it has no plate
}

// Fastening is how a tie point is bolted to what.
type Fastening struct {
	Bolts  int     `json:"bolts,omitempty"` // 0 is one
	Bolt   length  `json:"bolt"`            // diameter
	Grade  string  `json:"grade,omitempty"` // key into norms.Bolts
	In     FixedIn `json:"in,omitempty"`    // empty: a cross-member
	Thick  length  `json:"thick,omitempty"` // of the plate, the member's wall or the plywood
	Washer length  `json:"washer,omitempty"`
}

// FixedIn is what a tie point is bolted to.
type FixedIn string

// What a tie point may be bolted to.
const (
	InMember FixedIn = "member" // through a cross-member, both walls
	InPlate  FixedIn = "plate"  // a steel plate or a single wall
	InPly    FixedIn = "ply"
)

// FixedIns lists them.
var FixedIns = []FixedIn{InMember, InPlate, InPly}

// Blocked are the faces of a load against which something stands that cannot give way.
type Blocked struct {
	Front bool  `json:"front,omitempty"`
	Rear  bool  `json:"rear,omitempty"`
	Left  bool  `json:"left,omitempty"`
	Right bool  `json:"right,omitempty"`
	Takes *mass `json:"takes,omitempty"` // what each of them bears
}

// Strap is a kind of strap, chain or rope that the owner has, and how many.
type Strap struct {
	Order  int       `json:"order"`
	Name   string    `json:"name"`
	Kind   StrapKind `json:"kind,omitempty"`
	Hook   string    `json:"hook,omitempty"`   // its ends: S, J, flat, snap, loop
	Grade  string    `json:"grade,omitempty"`  // of a chain: key into norms.ChainGrades
	Width  length    `json:"width,omitempty"`  // of webbing; of a chain's link its thickness
	Limit  *mass     `json:"limit,omitempty"`  // working load limit, lashing capacity, from its tag
	Breaks *mass     `json:"breaks,omitempty"` // breaking strength, where that is all that is known
	Length *length   `json:"length,omitempty"`
	Pull   *mass     `json:"pull,omitempty"` // that its tightener leaves in it; nil: usual
	Count  int       `json:"count"`
	Retire bool      `json:"retire,omitempty"` // cut, frayed, bleached, bent: no longer counted
}

// StrapKind is a kind of lashing.
type StrapKind string

// The kinds of lashing.
const (
	StrapRatchet StrapKind = "ratchet"
	StrapCam     StrapKind = "cam"
	StrapChain   StrapKind = "chain"
	StrapRope    StrapKind = "rope"
)

// StrapKinds lists them.
var StrapKinds = []StrapKind{StrapRatchet, StrapCam, StrapChain, StrapRope}

// Lashing is one strap in its place. With To it runs from tie point From over the load at
// Hold.Back to tie point To; without it it holds the load at Hold directly. Hold is in the
// load's own frame.
type Lashing struct {
	Order int    `json:"order"`
	Load  string `json:"load"`
	Strap string `json:"strap"`
	From  string `json:"from"`
	To    string `json:"to,omitempty"`
	Hold  Spot   `json:"hold"`
}

func (c *cleaner) strap(path string, s *Strap) {
	s.Name = c.name(path+"/name", s.Name)
	s.Hook = c.name(path+"/hook", s.Hook)
	one(c, path+"/kind", "strap", &s.Kind, StrapKinds)
	if s.Kind == StrapChain {
		word(c, path+"/grade", "grade of chain", &s.Grade, slices.Contains(norms.ChainGrades, s.Grade))
	}
	c.bound(path+"/width", "strap's width", &s.Width, 0, 0.3)
	c.limit(path+"/limit", "working load limit", &s.Limit)
	c.limit(path+"/breaks", "breaking strength", &s.Breaks)
	c.limit(path+"/pull", "strap's pull", &s.Pull)
	number(c, path+"/length", "strap's length", &s.Length, quantity.KindLength, 0, maxLength, true)
	if s.Limit != nil && s.Breaks != nil && *s.Limit > *s.Breaks {
		c.say(path+"/limit", "The working load limit is over the breaking strength: read the tag anew.")
		s.Limit = nil
	}
	if s.Count < 0 || s.Count > 200 {
		c.say(path+"/count", "The number of straps must lie between 0 and 200.")
		s.Count = 0
	}
}

func (c *cleaner) tiePoint(path string, t *TiePoint) {
	c.spot(path+"/at", &t.At)
	word(c, path+"/kind", "kind of tie point", &t.Kind, ok(catalogue.AnchorOf(t.Kind)))
	c.limit(path+"/rating", "tie point's rating", &t.Rating)
	f := t.Fastening
	if f == nil {
		return
	}
	path += "/fastening"
	if f.Bolts < 0 || f.Bolts > 12 {
		c.say(path+"/bolts", "A tie point has 1 to 12 bolts.")
		f.Bolts = 0
	}
	c.bound(path+"/bolt", "bolt's diameter", &f.Bolt, 0, 0.05)
	c.bound(path+"/thick", "thickness of what it is bolted to", &f.Thick, 0, 0.1)
	c.bound(path+"/washer", "washer's diameter", &f.Washer, 0, 0.3)
	one(c, path+"/in", "what it is bolted to", &f.In, FixedIns)
	c.grade(path+"/grade", &f.Grade)
}

func (c *cleaner) lashings(path string, l *Layout, p *Plan) {
	l.Lashings = entries(c, l.Lashings, path, func(path string, x *Lashing) { c.spot(path+"/hold", &x.Hold) })
	for _, id := range Ordered(l.Lashings, func(Lashing) int { return 0 }) {
		x := l.Lashings[id]
		if _, ok := p.Loads[x.Load]; !ok {
			c.say(path+"/"+id+"/load", "This lashing holds a load that is not in the plan; it is left out.")
			delete(l.Lashings, id)
		}
	}
}
