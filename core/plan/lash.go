package plan

// TiePoint is a place on the trailer that takes a lashing, in the deck's frame: Back
// behind the headboard, Right of the middle, Up over the deck.
type TiePoint struct {
	Order  int    `json:"order"`
	Kind   string `json:"kind,omitempty" is:"kind of tie point, key anchors"`
	At     Spot   `json:"at"`
	Rating *mass  `json:"rating,omitempty" is:"tie point's rating"` // working load limit

	// of an eye bolt: a collar under the eye bears on what it is screwed to
	Shoulder *bool `json:"shoulder,omitempty"`

	Fastening *Fastening `json:"fastening,omitempty"` // where it has no plate
}

// Fastening is how a tie point is bolted to what.
type Fastening struct {
	Bolts int    `json:"bolts,omitempty" is:"number of bolts, 0..12"` // 0 is one
	Bolt  length `json:"bolt" is:"bolt's diameter, 0..0.05"`          // diameter
	Grade string `json:"grade,omitempty" is:"grade of bolt, key bolts"`
	// empty: a cross-member
	In FixedIn `json:"in,omitempty" is:"what it is bolted to"`
	// of the plate, the member's wall or the plywood
	Thick  length `json:"thick,omitempty" is:"thickness of what it is bolted to, 0..0.1"`
	Washer length `json:"washer,omitempty" is:"washer's diameter, 0..0.3"`
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
	Takes *mass `json:"takes,omitempty" is:"what the blocking bears"` // what each of them bears
}

// Strap is a kind of strap, chain or rope that the owner has, and how many.
type Strap struct {
	Order int       `json:"order"`
	Name  string    `json:"name" is:"name, text 200"`
	Kind  StrapKind `json:"kind,omitempty" is:"strap"`
	Hook  string    `json:"hook,omitempty" is:"hook, text 200"` // its ends: S, J, flat, snap, loop
	// of a chain: key into norms.ChainGrades
	Grade string `json:"grade,omitempty"`
	// of webbing; of a chain's link its thickness
	Width length `json:"width,omitempty" is:"strap's width, 0..0.3"`
	// working load limit, lashing capacity, from its tag
	Limit *mass `json:"limit,omitempty" is:"working load limit"`
	// breaking strength, where that is all that is known
	Breaks *mass   `json:"breaks,omitempty" is:"breaking strength"`
	Length *length `json:"length,omitempty" is:"strap's length, >0..50"`
	Pull   *mass   `json:"pull,omitempty" is:"strap's pull"` // that its tightener leaves in it; nil: usual
	Count  int     `json:"count" is:"number of straps, 0..200"`
	Kept   *Kept   `json:"kept,omitempty"`
	Retire bool    `json:"retire,omitempty"` // cut, frayed, bleached, bent: no longer counted
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
	Load  string `json:"load" is:"load, own"`
	Strap string `json:"strap"`
	From  string `json:"from"`
	To    string `json:"to,omitempty"`
	Hold  Spot   `json:"hold"`
}
