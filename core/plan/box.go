package plan

import "zygonos/core/lang/quantity"

// BoxBody is what is built on a deck: low sides, a cage of sticks, a box with skins. Its mass, size and centre follow.
type BoxBody struct {
	// outside; the height over the deck
	Long length `json:"long" is:"length of the body, 0.2..15"`
	Wide length `json:"wide" is:"width of the body, 0.2..3"`
	High length `json:"high" is:"height of the body, 0.1..4"`
	// posts and rails; the posts stand apart so far at most
	Stick Profile `json:"stick,omitzero"`
	Apart *length `json:"apart,omitempty" is:"distance of the posts, 0.1..5"`
	// what its faces are of; nil thickness: no skin
	Skin      string  `json:"skin,omitempty" is:"skin, key solids"`
	SkinThick *length `json:"skinThick,omitempty" is:"thickness of the skin, 0.0005..0.05"`
	Roof      bool    `json:"roof,omitempty"`
	OpenFront bool    `json:"openFront,omitempty"`
	OpenRear  bool    `json:"openRear,omitempty"`
	// what keeps it square
	Braced Bracing `json:"braced,omitempty" is:"bracing"`
	// the posts stand in pockets, else are bolted or welded
	Pockets bool `json:"pockets,omitempty"`
	// the rear face is a door that becomes a ramp; what its helpers push with, how far from its hinge they hold
	RampDoor bool            `json:"rampDoor,omitempty"`
	Stiles   int             `json:"stiles,omitempty" is:"number of the door's stiles, 0..12"`
	DoorPush *quantity.Force `json:"doorPush,omitempty" is:"force that helps the door, >0..20000"`
	DoorArm  *length         `json:"doorArm,omitempty" is:"arm of that force, >0..4"`
	// of tailgate or doors: how many, and what one bears
	Latches  int   `json:"latches,omitempty" is:"number of latches, 0..12"`
	LatchMax *mass `json:"latchMax,omitempty" is:"what a latch bears"`
	// of the rear as doors that hang on their sides: leaves; hinges of one leaf, or of the ramp door, and what one bears
	Leaves   int   `json:"leaves,omitempty" is:"number of leaves, 0..2"`
	Hinges   int   `json:"hinges,omitempty" is:"number of hinges, 0..12"`
	HingeMax *mass `json:"hingeMax,omitempty" is:"what a hinge bears"`
	// how it is held to the trailer
	Bolts      int      `json:"bolts,omitempty" is:"number of bolts, 0..60"`
	BoltAcross *length  `json:"boltAcross,omitempty" is:"diameter of the bolts, 0.004..0.03"`
	BoltGrade  string   `json:"boltGrade,omitempty" is:"grade of the bolts, key bolts"`
	Minutes    *float64 `json:"minutes,omitempty" is:"minutes to take it off, >0..1440"`
	// where it is stored or driven through
	Lowest *length `json:"lowest,omitempty" is:"lowest gate or garage, 0.5..6"`
	// the way out of where it is built: door, path to a corner, path behind it, ceiling; who carries
	DoorWide *length `json:"doorWide,omitempty" is:"width of the door, 0.3..10"`
	DoorHigh *length `json:"doorHigh,omitempty" is:"height of the door, 0.3..10"`
	PathWide *length `json:"pathWide,omitempty" is:"width of the path, 0.3..20"`
	Corner   *length `json:"corner,omitempty" is:"width of the path behind the corner, 0.3..20"`
	Helpers  int     `json:"helpers,omitempty" is:"number of helpers, 0..20"`
}

// Bracing keeps a body square.
type Bracing string

// The ways.
const (
	BracedNot       Bracing = "none"
	BracedCorners   Bracing = "corners"   // short braces at the corners
	BracedDiagonals Bracing = "diagonals" // one in each end
	BracedSkin      Bracing = "skin"      // fixed all around
)

// Bracings lists them.
var Bracings = []Bracing{BracedNot, BracedCorners, BracedDiagonals, BracedSkin}
