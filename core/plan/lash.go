package plan

import "zygonos/core/quantity"

// TiePoint is a place on the trailer that takes a lashing, in the deck's frame: Back
// behind the headboard, Right of the middle, Up over the deck.
type TiePoint struct {
	Order  int    `json:"order"`
	Kind   string `json:"kind,omitempty"` // key into catalogue.AnchorKinds
	At     Spot   `json:"at"`
	Rating *mass  `json:"rating,omitempty"` // working load limit
}

// Strap is a kind of strap, chain or rope that the owner has, and how many.
type Strap struct {
	Order  int       `json:"order"`
	Name   string    `json:"name"`
	Kind   StrapKind `json:"kind,omitempty"`
	Width  length    `json:"width,omitempty"`
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
	one(c, path+"/kind", "strap", &s.Kind, StrapKinds)
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
	c.limit(path+"/rating", "tie point's rating", &t.Rating)
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
