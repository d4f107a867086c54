package plan

import "zygonos/core/lang/quantity"

// Frame is the trailer's own frame, drawn: its members in the deck's coordinates, so that a longer
// drawbar or a moved axle moves nothing else. Members that touch are joined.
type Frame struct {
	Members map[string]Member `json:"members" is:"member"`
	// of a leaf spring, from its front eye to its rear slipper
	SpringLength *length `json:"springLength,omitempty" is:"length of the springs, 0.2..1.6"`
	// across, between the springs' or the axle brackets' middles; nil: between the rails
	SpringsApart *length `json:"springsApart,omitempty" is:"distance between the springs, 0.3..2.5"`
	// how far the hubs stand over the axle's tube (a drop axle), and the rails' underside over its middle
	AxleDrop *length `json:"axleDrop,omitempty" is:"drop of the axle, 0..0.4"`
	AxleSeat *length `json:"axleSeat,omitempty" is:"height of the rails over the axle, -0.2..0.5"`
	// how it is fixed to the rails
	AxleFixed AxleFixed `json:"axleFixed,omitempty" is:"axle's seat"`
	// what welds, paint and fasteners add, share of the members' weight
	Extra *float64 `json:"extra,omitempty" is:"share for welds and paint, share 0..0.3"`
	// it goes to the zinc bath, and how large that is
	Dipped   bool    `json:"dipped,omitempty"`
	BathLong *length `json:"bathLong,omitempty" is:"length of the bath, >0..30"`
	BathWide *length `json:"bathWide,omitempty" is:"width of the bath, >0..5"`
	BathDeep *length `json:"bathDeep,omitempty" is:"depth of the bath, >0..6"`
	// what there is to cut it from
	Bars map[string]BarStock `json:"bars,omitempty" is:"bar"`
	Kerf *length             `json:"kerf,omitempty" is:"kerf of the saw, 0..0.02"`
	// what steel costs by weight, where a section has no price of its own
	PerKg *quantity.Rate `json:"perKg,omitempty" is:"price of steel by weight"`
	// what comes home on or in the car: the longest bar, and how much at once
	Carry     *length `json:"carry,omitempty" is:"longest bar that the car carries, >0..15"`
	CarryMass *mass   `json:"carryMass,omitempty" is:"mass that the car carries at once, >0..2000"`
	// what the finished frame showed: on three corners, this on the fourth lowered it by so much
	TwistLoad *mass   `json:"twistLoad,omitempty" is:"load on the free corner, >0..1000"`
	TwistDip  *length `json:"twistDip,omitempty" is:"dip of the free corner, >0..0.5"`
	// the coupling head: the bar that it takes, and how far apart across its bolt holes stand
	HeadTakes *length `json:"headTakes,omitempty" is:"width of bar that the {coupling} takes, 0.02..0.3"`
	HeadHoles *length `json:"headHoles,omitempty" is:"distance of the {coupling}'s holes, 0.01..0.4"`
	// the jockey wheel: how far behind the ball, and how high its handle ends
	Jockey    *length `json:"jockey,omitempty" is:"place of the {jockey wheel}, 0..6"`
	JockeyTop *length `json:"jockeyTop,omitempty" is:"height of the {jockey wheel}'s handle, 0.2..2"`
	// the owner asked what approval it needs
	Asked bool `json:"asked,omitempty"`
}

// AxleFixed says how an axle or its spring hangers are fixed to the rails.
type AxleFixed string

// The ways.
const (
	AxleWelded AxleFixed = "welded"
	AxleBolted AxleFixed = "bolted" // through plates
	AxleSlots  AxleFixed = "slots"  // in saddles, between the ends that AxleMoves gives
)

// AxleFixings lists them.
var AxleFixings = []AxleFixed{AxleWelded, AxleBolted, AxleSlots}

// Member is a straight bar of a frame.
type Member struct {
	Order int    `json:"order"`
	Name  string `json:"name" is:"name, text 200"`
	Role  Role   `json:"role,omitempty" is:"role"`
	// its ends as one tapes them: where the bar's middle ends …
	From FramePoint `json:"from"`
	To   FramePoint `json:"to"`
	// … and what it is made of
	Profile Profile `json:"profile"`
	// its length as it was taped on the finished frame, which From and To were moved to
	Taped *length `json:"taped,omitempty" is:"length as taped, >0..15"`
	// turned about its own length; a quarter lays a tube flat
	Roll float64 `json:"roll,omitempty" is:"turn about its length, angle -3.2..3.2"`
	// how each end is joined; empty: welded
	FromJoint MemberJoint `json:"fromJoint,omitempty" is:"joint"`
	ToJoint   MemberJoint `json:"toJoint,omitempty" is:"joint"`
	// of a bolted end: how many, how thick, of which grade, and how far apart along the member
	Bolts     int    `json:"bolts,omitempty" is:"number of bolts, 0..12"`
	Bolt      length `json:"bolt,omitempty" is:"bolt's diameter, 0..0.05"`
	BoltGrade string `json:"boltGrade,omitempty" is:"grade of bolt, key bolts"`
	BoltGauge length `json:"boltGauge,omitempty" is:"distance between the bolts, 0..1"`
	// its ends are closed by a cap or a plate
	FromCap bool `json:"fromCap,omitempty"`
	ToCap   bool `json:"toCap,omitempty"`
	// what is taken out of it
	Cuts map[string]MemberCut `json:"cuts,omitempty" is:"cut"`
}

// MemberCut is what is taken out of a member: a notch in one of its faces, or a hole drilled through it.
type MemberCut struct {
	Order int     `json:"order"`
	What  CutKind `json:"what" is:"cut"`
	At    length  `json:"at" is:"place along the member, 0..15"` // its middle, from the member's beginning
	Face  Face    `json:"face,omitempty" is:"face"`              // nothing stated: the top
	// a notch's depth, a hole's diameter
	Size length `json:"size" is:"size of the cut, >0..0.5"`
	// of a notch, along the member
	Long length `json:"long,omitempty" is:"length of the notch, 0..2"`
	// of a hole: how far its middle lies off the middle of its face: to the right, to the rear or up
	Off length `json:"off,omitempty" is:"distance from the face's middle, -0.3..0.3"`
	// At is where it was found on the finished frame
	Taped bool `json:"taped,omitempty"`
	// a notch's inner corners are rounded; else they are taken as sharp
	Rounded bool `json:"rounded,omitempty"`
	// a plate as thick as the wall closes it again, welded all round
	Closed bool `json:"closed,omitempty"`
}

// CutKind says what a cut is.
type CutKind string

// The kinds of cuts.
const (
	CutNotch CutKind = "notch"
	CutHole  CutKind = "hole" // through both walls
)

// CutKinds lists them.
var CutKinds = []CutKind{CutNotch, CutHole}

// Face is a side of a member, as the trailer stands.
type Face string

// The faces.
const (
	FaceTop    Face = "top"
	FaceBottom Face = "bottom"
	FaceLeft   Face = "left"
	FaceRight  Face = "right"
	FaceFront  Face = "front"
	FaceRear   Face = "rear"
)

// Faces lists them.
var Faces = []Face{FaceTop, FaceBottom, FaceLeft, FaceRight, FaceFront, FaceRear}

// FramePoint is a place on a frame: behind the front board, right of the deck's middle, and how high the
// top of the bar lies over the deck's underside (mostly zero or below).
type FramePoint struct {
	Back  length `json:"back" is:"place, -12..25"`
	Right length `json:"right" is:"place, -6..6"`
	Up    length `json:"up,omitempty" is:"height, -3..4"`
}

// Role says what a member does.
type Role string

// The roles.
const (
	RoleRail    Role = "rail"  // along a side
	RoleCross   Role = "cross" // across, under the deck
	RoleDrawbar Role = "drawbar"
	RoleUpright Role = "upright" // post or stake
	RoleBrace   Role = "brace"
)

// Roles lists them.
var Roles = []Role{RoleRail, RoleCross, RoleDrawbar, RoleUpright, RoleBrace}

// MemberJoint says how a member's end is joined to what it touches.
type MemberJoint string

// The joints.
const (
	JointWeld  MemberJoint = "weld"
	JointBolt  MemberJoint = "bolt"  // gives when it is bent
	JointHinge MemberJoint = "hinge" // turns freely
)

// MemberJoints lists them.
var MemberJoints = []MemberJoint{JointWeld, JointBolt, JointHinge}

// BarStock is a bar to cut from: one length that is sold, or some that are there.
type BarStock struct {
	Order   int             `json:"order"`
	Profile Profile         `json:"profile"`
	Length  length          `json:"length" is:"bar's length, >0..15"`
	Price   *quantity.Money `json:"price,omitempty" is:"price of a bar"`
	// how many are there; nil: it is bought
	Have *int `json:"have,omitempty" is:"number of bars, 0..200"`
	// as it arrived: what is cut off both its ends together, how far its middle stands off a line between
	// them, and its wall by the gauge
	Trim *length `json:"trim,omitempty" is:"length cut off its ends, 0..2"`
	Bow  *length `json:"bow,omitempty" is:"bend of the bar, 0..0.5"`
	Wall *length `json:"wall,omitempty" is:"wall by the gauge, >0..0.05"`
	// it is a piece that was cut for a member of this name: what it was cut for comes first
	Sawn string `json:"sawn,omitempty" is:"member that it was cut for, text 200"`
}

// DefaultExtra is what welds, paint and fasteners add, share of the members' weight (practice, C).
const DefaultExtra = 0.03

// DefaultKerf is what a chop saw takes, m (practice, C).
const DefaultKerf length = 0.0025
