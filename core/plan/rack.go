package plan

import (
	"math"

	"zygonos/core/lang/quantity"
)

// Rack is how a part that carries hulls is built: frames alike across the deck,
// each of posts and of one cross bar a tier. The part's mass, size and centre
// follow from it.
type Rack struct {
	// of the front frame, behind the part's front face
	FrontAt length `json:"frontAt" is:"front frame's place, 0..50"`
	RearAt  length `json:"rearAt" is:"rear frame's place, 0..50"` // of the rear frame
	// a third frame midway
	Middle bool `json:"middle,omitempty"`
	// of a frame: 1 in the middle, 2 (taken when zero), 3
	Posts int `json:"posts,omitempty" is:"number of a frame's posts, 0..3"`
	// between the outer posts' middles
	Apart length  `json:"apart" is:"distance between the posts, 0..5"`
	Foot  Foot    `json:"foot,omitempty" is:"foot"`
	Held  bool    `json:"held,omitempty"` // bars are kept from moving sideways: angles bend upright
	Post  Profile `json:"post"`
	Bar   Profile `json:"bar"`
	// a section slid into the bars from end to end
	Insert *Profile `json:"insert,omitempty"`
	// how bars and posts are fastened to each other
	Joint *Joint `json:"joint,omitempty"`
	// what hulls slide on; empty: as bare bars
	Pads Pads `json:"pads,omitempty" is:"pads"`
	// leg of braces at 45° from each post to its bars, both ways; 0 is none
	Brace length `json:"brace,omitempty" is:"brace, 0..1"`
	// of a bolted foot, half of them to either side
	Bolts int    `json:"bolts,omitempty" is:"number of bolts, 0..20"`
	Bolt  length `json:"bolt,omitempty" is:"bolt's diameter, 0..0.05"` // their diameter
	Grade string `json:"grade,omitempty" is:"grade of bolt, key bolts"`
	// between the foot's rows of bolts
	Gauge length          `json:"gauge,omitempty" is:"distance between the bolts, 0..1"`
	Tiers map[string]Tier `json:"tiers"`
}

// Tier is one height of cross bars.
type Tier struct {
	Order  int    `json:"order"`
	Up     length `json:"up" is:"tier's height, 0..5"`    // top of the bars above the part's underside
	Length length `json:"length" is:"bar's length, 0..5"` // of the bars
}

// Pads are what hulls lie and slide on.
type Pads string

// The pads.
const (
	PadsBare    Pads = "bare"
	PadsCarpet  Pads = "carpet"
	PadsPlastic Pads = "plastic"
	PadsRoller  Pads = "roller" // at the rear bar
)

// AllPads lists them.
var AllPads = []Pads{PadsBare, PadsCarpet, PadsPlastic, PadsRoller}

// Joint is how a cross bar is fastened to a post.
type Joint struct {
	With JointWith `json:"with,omitempty" is:"fastener"`
	// down into the post's end, not through its side
	EndGrain bool `json:"endGrain,omitempty"`
	// of them at each post; 0 is one
	Count    int    `json:"count,omitempty" is:"number of fasteners, 0..20"`
	Diameter length `json:"diameter,omitempty" is:"fastener's diameter, 0..0.03"`
	// in the second piece
	Length length `json:"length,omitempty" is:"fastener's length in the post, 0..0.3"`
	Washer length `json:"washer,omitempty" is:"washer's diameter, 0..0.1"`
}

// JointWith is a kind of fastener.
type JointWith string

// The fasteners.
const (
	WithNails  JointWith = "nail"
	WithScrews JointWith = "screw"
	WithBolts  JointWith = "bolt"
	WithRivets JointWith = "rivet"
	WithClamps JointWith = "clamp"
)

// JointWiths lists them.
var JointWiths = []JointWith{WithNails, WithScrews, WithBolts, WithRivets, WithClamps}

// Foot is how posts stand on the trailer.
type Foot string

// The feet.
const (
	FootPocket Foot = "pocket" // in a stake pocket, held by a pin
	FootBolted Foot = "bolted"
	FootWelded Foot = "welded"
)

// Feet lists the feet.
var Feet = []Foot{FootPocket, FootBolted, FootWelded}

// Profile is a section of stock: shape and sizes as core/sums/section takes them, and
// the material.
type Profile struct {
	Shape    string `json:"shape"`
	Height   length `json:"height" is:"section's height, 0..0.5"`
	Width    length `json:"width,omitempty" is:"section's width, 0..0.5"`
	Wall     length `json:"wall,omitempty" is:"section's wall, 0..0.1"`
	Lip      length `json:"lip,omitempty" is:"section's lip, 0..0.1"`
	Material string `json:"material" is:"material, key stocks"`

	PerMetre *quantity.Money `json:"perMetre,omitempty" is:"price of a metre"` // its price
}

// Pose is how a hull lies in its place.
type Pose string

// The poses.
const (
	PoseDown Pose = "down" // on its keel
	PoseUp   Pose = "up"   // upside down, on its gunwales
	PoseEdge Pose = "edge" // on its side in a cradle
)

// Poses lists the poses.
var Poses = []Pose{PoseDown, PoseUp, PoseEdge}

// EdgeLean is how far a hull on edge leans over where its place does not say, rad.
const EdgeLean = 75 * math.Pi / 180

// Leans is how far a hull in the place is turned about its length, rad.
func (s *Slot) Leans() float64 {
	switch s.Pose {
	case PoseUp:
		return math.Pi
	case PoseEdge:
		if s.Lean != nil {
			return *s.Lean
		}
		return EdgeLean
	}
	return 0
}

// Cradle is what a boat slides onto from the water: rollers or bunks under its keel,
// a bow stop, a winch on a stand. Places are behind the part's front face.
type Cradle struct {
	Rollers map[string]Roller `json:"rollers,omitempty"`
	Bunks   *Bunks            `json:"bunks,omitempty"`
	// top of rollers or bunks above the part's underside
	Keel    length  `json:"keel" is:"height of the rollers, 0..3"`
	BowStop *length `json:"bowStop,omitempty" is:"bow stop's place, -3..50"` // where the stem stops
	WinchAt *length `json:"winchAt,omitempty" is:"winch's place, -3..50"`    // of the drum
	// the line where it leaves the drum, above the part's underside
	WinchUp *length `json:"winchUp,omitempty" is:"winch's height, 0..3"`
	// there is a tie for the stern
	Transom bool `json:"transom,omitempty"`
}

// Roller bears the keel in one place.
type Roller struct {
	Order int    `json:"order"`
	At    length `json:"at" is:"roller's place, -2..50"`
}

// Bunks are two alike along the boat, right and left of the keel.
type Bunks struct {
	From  length `json:"from" is:"bunks' front, -3..50"`
	To    length `json:"to" is:"bunks' rear, -3..50"`
	Apart length `json:"apart" is:"distance between the bunks, 0..4"` // between their middles
}

// Slip is where boats go in and come out.
type Slip struct {
	Angle float64 `json:"angle" is:"slip's fall, angle 0.01..0.8"` // rad
}
