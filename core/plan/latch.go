package plan

// Latch is what keeps a part shut, up or in its place: of a gate, a folding deck, a stowed ramp, a
// spare wheel, a jockey wheel.
type Latch struct {
	// which way it would go; empty: as its kind does
	Opens Opens     `json:"opens,omitempty" is:"way it opens"`
	How   LatchKind `json:"how,omitempty" is:"latch"`
	// of them; 0 is one
	Count int `json:"count,omitempty" is:"number of latches, 0..8"`
	// what one takes, as marked
	Takes *mass `json:"takes,omitempty" is:"limit of the latch"`
	// diameter of a pin in double shear
	Pin   length `json:"pin,omitempty" is:"pin's diameter, 0..0.05"`
	Grade string `json:"grade,omitempty" is:"grade of bolt, key bolts"`
	// a second lock that holds though the first is open
	Second bool `json:"second,omitempty"`
	// of the latch above the hinge; nil: at the part's top
	Up *length `json:"up,omitempty" is:"height of the latch over the hinge, >0..3"`
	// of its lever, or of the pin that is drawn: what a hand sweeps to open it
	Handle length `json:"handle,omitempty" is:"length of the latch's lever or pin, 0..1.5"`
	// at its foot or hinge
	Play *length `json:"play,omitempty" is:"play, 0..0.1"`
	// depth of the socket, or between the hinge's bearings, over which it plays
	Socket *length `json:"socket,omitempty" is:"socket's depth, >0..2"`
}

// Opens is the way in which a part would come open or off.
type Opens string

// The ways to come open.
const (
	OpensRear  Opens = "rear"
	OpensFront Opens = "front"
	OpensSide  Opens = "side"
	OpensUp    Opens = "up"
	OpensDown  Opens = "down" // it hangs
	OpensPull  Opens = "pull" // it slides out of its sleeve under the trailer's pull
)

// AllOpens lists them.
var AllOpens = []Opens{OpensRear, OpensFront, OpensSide, OpensUp, OpensDown, OpensPull}

// LatchKind is a kind of latch.
type LatchKind string

// The kinds of latch.
const (
	LatchPin    LatchKind = "pin"
	LatchHook   LatchKind = "hook"
	LatchCentre LatchKind = "over-centre"
	LatchStrap  LatchKind = "strap"
	LatchBolt   LatchKind = "bolt"
	LatchWeight LatchKind = "weight" // nothing but its weight or a fit
)

// LatchKinds lists them.
var LatchKinds = []LatchKind{LatchPin, LatchHook, LatchCentre, LatchStrap, LatchBolt, LatchWeight}
