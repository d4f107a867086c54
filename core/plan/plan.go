// Package plan is the plan document: what the owner states, nothing computed.
//
// Axes, for the whole of core: x rearward from the ball centre, y to the
// right, z up from the ground with the trailer level (right-handed). Positions
// in the plan are stored as one tapes them, in the frame of what carries the
// thing: on the deck, Back is from the front board to the near face and Right
// is from the deck's centreline to the thing's own.
//
// Every collection is an object keyed by a stable id ([a-z0-9-], made by the
// client, never reused) whose entries carry an Order. Patches address ids.
package plan

import (
	"maps"

	"zygonos/core/lang/quantity"
)

// Format and Version mark a plan file.
const (
	Format  = "zygonos-plan"
	Version = 1
)

type (
	mass   = quantity.Mass
	length = quantity.Length
)

// Plan is the whole document.
type Plan struct {
	Format  string          `json:"format"`
	Version int             `json:"version"`
	Name    string          `json:"name" is:"name, text 200"`
	Notes   string          `json:"notes,omitempty"`
	Region  quantity.Region `json:"region"`
	Units   quantity.System `json:"units"`
	// key into norms.Schools; empty: the region's usual one
	BallSchool string `json:"ballSchool,omitempty" is:"rule for the {ball load}, key ballRules" stage:"balance"`
	// plus-minus of masses by provenance, share; replaces DefaultDoubts
	Doubts map[How]float64 `json:"doubts,omitempty" stage:"balance"`
	// trailer id
	Chosen      string                `json:"chosen,omitempty"`
	Loads       map[string]Load       `json:"loads" stage:"job"`
	TowVehicles map[string]TowVehicle `json:"towVehicles" stage:"vehicle"`
	Trailers    map[string]Trailer    `json:"trailers" stage:"trailer/details"`
	Parts       map[string]Part       `json:"parts" stage:"balance"`
	// musts and wishes
	Wants map[string]Want `json:"wants,omitempty" stage:"job"`
	// what there is to tie down with
	Straps map[string]Strap `json:"straps,omitempty" stage:"tie"`
	// key into norms.TieSchools; empty: the region's usual one
	TieSchool string `json:"tieSchool,omitempty" is:"rule for tie-downs, key tieRules" stage:"tie"`
	// loose materials and ball mounts of the owner's own
	Materials  map[string]OwnMaterial `json:"materials,omitempty" stage:"job"`
	BallMounts map[string]BallMount   `json:"ballMounts,omitempty" stage:"vehicle"`
	Outings    map[string]Outing      `json:"outings" stage:"balance"`
}

// How says how a figure is known: its provenance.
type How string

// The provenances, best first.
const (
	Weighed How = "weighed" // weighed or measured on the thing itself
	Learned How = "learned" // narrowed by what was read on the road: its slips stand in the log
	Plate   How = "plate"
	Maker   How = "maker"
	Typical How = "typical"
	Guessed How = "guessed"
)

// Hows lists the provenances, best first.
var Hows = []How{Weighed, Learned, Plate, Maker, Typical, Guessed}

// DefaultDoubts are the plus-minus of a mass by provenance, as a share of the
// value: our own practice figures, shown and editable (docs/method/estimates.md).
var DefaultDoubts = map[How]float64{Weighed: 0.02, Learned: 0.05, Plate: 0.03, Maker: 0.05, Typical: 0.15, Guessed: 0.25}

// DefaultLengthDoubts are the plus-minus of a length by provenance, as a share
// of the value. A measured length is instead within LengthDoubt.
var DefaultLengthDoubts = map[How]float64{Learned: 0.01, Plate: 0.005, Maker: 0.01, Typical: 0.05, Guessed: 0.10}

// LengthDoubt is the plus-minus of a length taken with a tape, m.
const LengthDoubt length = 0.005

// PlaceDoubt is how closely a load is put where the plan says, m.
const PlaceDoubt length = 0.010

// MassEstimate is a stated mass, kg, with how it is known.
type MassEstimate struct {
	Value     mass     `json:"value"`
	PlusMinus *mass    `json:"plusMinus,omitempty"` // kg
	Relative  *float64 `json:"relative,omitempty"`  // share of the value
	How       How      `json:"how"`
	Slips     int      `json:"slips,omitempty"` // how many it was learned from
}

// LengthEstimate is a stated length, m, with how it is known.
type LengthEstimate struct {
	Value     length   `json:"value"`
	PlusMinus *length  `json:"plusMinus,omitempty"`
	Relative  *float64 `json:"relative,omitempty"`
	How       How      `json:"how"`
}

// Rating is a limit as printed. What the number counts is often unclear:
// "gross" is the loaded trailer, "payload" is the load alone, "unsure" is
// computed both ways.
type Rating struct {
	Value  mass   `json:"value" is:"label's number"`
	Counts Counts `json:"counts" is:"what the label counts, own"`
}

// Counts says what a rating counts.
type Counts string

// What a label's number may count.
const (
	CountsGross   Counts = "gross"
	CountsPayload Counts = "payload"
	CountsUnsure  Counts = "unsure"
)

// AllCounts lists what a label's number may count.
var AllCounts = []Counts{CountsGross, CountsPayload, CountsUnsure}

// Size is a box, m.
type Size struct {
	Length *LengthEstimate `json:"length,omitempty" is:"length"`
	Width  *LengthEstimate `json:"width,omitempty" is:"width"`
	Height *LengthEstimate `json:"height,omitempty" is:"height"`
}

// Spot is a place in a frame: Back from its front face, Right of its
// centreline, Up from its underside.
type Spot struct {
	Back  length `json:"back" is:"place, -50..50"`
	Right length `json:"right,omitempty" is:"place, -50..50"`
	Up    length `json:"up,omitempty" is:"place, -50..50"`
}

// Centre is where a thing's mass centre lies in its own box. What is nil is
// taken at the middle, with a doubt of a twentieth of the box (Back, Right)
// or at 45 % of the height (Up).
type Centre struct {
	Back  *LengthEstimate `json:"back,omitempty" is:"place of the centre, -50..50, not 0"`
	Right *LengthEstimate `json:"right,omitempty" is:"place of the centre, -50..50"`
	Up    *LengthEstimate `json:"up,omitempty" is:"height of the centre"`
}

// Load is a thing to carry.
type Load struct {
	Order      int                `json:"order"`
	Name       string             `json:"name" is:"name, text 200"`
	Kind       string             `json:"kind,omitempty" is:"kind of load, key loads"`
	Mass       *MassEstimate      `json:"mass,omitempty" is:"weight" stage:"balance"`
	MassCounts MassCounts         `json:"massCounts,omitempty" is:"what the weight counts"`
	Size       Size               `json:"size"`
	Centre     Centre             `json:"centre"`
	Contents   map[string]Content `json:"contents,omitempty"`
	Ends       *EndWeighing       `json:"ends,omitempty" is:"readings of the ends, own"`
	Bulk       *Bulk              `json:"bulk,omitempty"`
	Tank       *Tank              `json:"tank,omitempty"`
	Pieces     *Pieces            `json:"pieces,omitempty" is:"pack"`
	Rolling    *Rolling           `json:"rolling,omitempty" stage:"ramps"`
	Hull       *Hull              `json:"hull,omitempty"`
	Kept       *Kept              `json:"kept,omitempty"`
}

// MassCounts says whether a load's mass includes its contents.
type MassCounts string

// A load's mass alone (the default) or with its contents.
const (
	MassAlone MassCounts = "alone"
	MassWhole MassCounts = "whole"
)

// MassCountings lists them.
var MassCountings = []MassCounts{MassAlone, MassWhole}

// Content is a thing inside a load: battery, motor, tackle, fuel.
type Content struct {
	Order int           `json:"order"`
	Name  string        `json:"name" is:"name, text 200"`
	Mass  *MassEstimate `json:"mass,omitempty" is:"weight"`
	At    Spot          `json:"at"` // its centre, from the load's front face
}

// EndWeighing is a load weighed with each end in turn on the scale, level, as
// it travels (contents in).
type EndWeighing struct {
	Front   MassEstimate `json:"front"`
	Rear    MassEstimate `json:"rear"`
	FrontAt length       `json:"frontAt"` // of the support, from the load's front face
	RearAt  length       `json:"rearAt"`
	// only the front end was read: the rest of the load's mass is borne at RearAt
	One bool `json:"one,omitempty"`
}

// TowVehicle is a car or pickup that tows.
type TowVehicle struct {
	Order int     `json:"order"`
	Name  string  `json:"name" is:"name, text 200"`
	Body  CarBody `json:"body,omitempty" is:"car's body"` // how it is drawn
	// ready to drive, driver not counted
	Kerb *MassEstimate `json:"kerb,omitempty" is:"{curb weight}"`
	// of that on the rear axle
	RearEmpty   *MassEstimate `json:"rearEmpty,omitempty" is:"weight on the rear axle"`
	Gross       *mass         `json:"gross,omitempty" is:"{car gross}"`
	Train       *mass         `json:"train,omitempty" is:"{train gross}"`
	RearLimit   *mass         `json:"rearLimit,omitempty" is:"rear {axle limit}"`
	TowBraked   *mass         `json:"towBraked,omitempty" is:"{tow rating}"`
	TowUnbraked *mass         `json:"towUnbraked,omitempty" is:"{tow rating}"`
	// the vehicle's own ball-load limit
	BallLimit *mass `json:"ballLimit,omitempty" is:"{ball load} limit"`
	// hitch plate: towed mass
	HitchTow *mass `json:"hitchTow,omitempty" is:"hitch rating"`
	// hitch plate: ball load
	HitchBall *mass `json:"hitchBall,omitempty" is:"hitch's {ball load} limit"`
	// stamped on the ball
	BallRating *mass           `json:"ballRating,omitempty" is:"ball rating"`
	BallSize   *length         `json:"ballSize,omitempty" is:"ball size, 0.02..0.12"` // diameter
	BallHeight *length         `json:"ballHeight,omitempty" is:"ball height, >0..2"`
	Wheelbase  *LengthEstimate `json:"wheelbase,omitempty" is:"wheelbase"`
	// rear axle to ball
	RearOverhang *LengthEstimate `json:"rearOverhang,omitempty" is:"distance from rear axle to ball"`
	// D value of the hitch's plate, N; its S is HitchBall
	HitchD *quantity.Force `json:"hitchD,omitempty" is:"D value, >0..1e6"`
	Socket string          `json:"socket,omitempty" is:"socket, key plugs"`
	// one for another plug is carried
	Adapter bool `json:"adapter,omitempty"`
	// ball's middle behind the bumper
	BallBehind *length `json:"ballBehind,omitempty" is:"distance from bumper to ball, -1..3"`
	// open tailgate or door: beyond the bumper …
	GateReach *length `json:"gateReach,omitempty" is:"reach of the open {car tailgate}, 0..3"`
	// … and its lowest edge above the ground
	GateHeight *length `json:"gateHeight,omitempty" is:"height of the open {car tailgate}, 0..3"`
	// which wheels drive; those that brake, where not all do
	Drive    CarDrive `json:"drive,omitempty" is:"drive"`
	RearOnly bool     `json:"rearOnly,omitempty"` // it brakes with its rear wheels alone
	// what its roof takes, bars counted; its bed or inside, behind the front seats
	RoofLimit *mass   `json:"roofLimit,omitempty" is:"roof load"`
	BedLength *length `json:"bedLength,omitempty" is:"length of its bed, >0..8"`
	BedWidth  *length `json:"bedWidth,omitempty" is:"width of its bed, >0..4"`
	// what its driver sees by: a mirror's outer edge beside the middle; the eye before the ball and
	// above the ground; the lower edge of the rear window
	MirrorOut *length `json:"mirrorOut,omitempty" is:"mirror's outer edge, >0..2"`
	EyeAhead  *length `json:"eyeAhead,omitempty" is:"driver's eye before the ball, >0..6"`
	EyeUp     *length `json:"eyeUp,omitempty" is:"height of the driver's eye, >0..3"`
	SillUp    *length `json:"sillUp,omitempty" is:"rear window's lower edge, >0..3"`
	// of its centre above the ground
	CentreUp *length `json:"centreUp,omitempty" is:"height of the centre, >0..2"`
	// what carries the ball, where it can be taken off
	Mount string `json:"mount,omitempty" is:"ball mount, ref ballMounts"`
	// what it burns or draws
	Thirst *Thirst `json:"thirst,omitempty" stage:"log/energy"`
	Kept   *Kept   `json:"kept,omitempty"`
}

// Trailer is one candidate or the owner's own.
type Trailer struct {
	Order          int             `json:"order"`
	Name           string          `json:"name" is:"name, text 200"`
	Kind           string          `json:"kind,omitempty" is:"kind of trailer, key trailers"`
	CouplingToAxle *LengthEstimate `json:"couplingToAxle,omitempty" is:"distance from {coupling} to axle, own"`
	// to the front board
	CouplingToDeck *LengthEstimate `json:"couplingToDeck,omitempty" is:"distance from {coupling} to deck, -50..50, not 0"`
	DeckLength     *LengthEstimate `json:"deckLength,omitempty" is:"deck length"`
	DeckWidth      *LengthEstimate `json:"deckWidth,omitempty" is:"deck width"`
	DeckHeight     *LengthEstimate `json:"deckHeight,omitempty" is:"deck height"`
	SideHeight     *length         `json:"sideHeight,omitempty" is:"height of the sides, 0..5"`
	Track          *LengthEstimate `json:"track,omitempty" is:"track"` // between the tyres' middles
	WheelDiameter  *length         `json:"wheelDiameter,omitempty" is:"wheel diameter, >0..3"`
	// 0 is as many as its kind has; two tyres each
	Axles int `json:"axles,omitempty" is:"number of axles, 0..3"`
	// gross, or what the shop label says
	Label *Rating `json:"label,omitempty" is:"label's number"`
	// limit on the wheels when coupled, where the plate gives one
	OnWheels *mass `json:"onWheels,omitempty" is:"{on wheels} rating"`
	// of all axles together, both ends
	AxleRating *mass `json:"axleRating,omitempty" is:"axle rating"`
	// of all springs together
	SpringRating *mass `json:"springRating,omitempty" is:"spring rating"`
	// one tyre
	TyreRating *mass `json:"tyreRating,omitempty" is:"{tyre} rating"`
	// load index, read when TyreRating is not given
	TyreIndex      *int  `json:"tyreIndex,omitempty" is:"load index on the {tyre}'s wall, 50..126"`
	CouplingRating *mass `json:"couplingRating,omitempty" is:"{coupling} rating"`
	// ball-load limit of coupling or drawbar
	CouplingBall *mass `json:"couplingBall,omitempty" is:"{coupling}'s {ball load} limit"`
	// ball diameter that it takes
	CouplingSize *length `json:"couplingSize,omitempty" is:"{coupling} size, 0.02..0.12"`
	Brakes       Brakes  `json:"brakes,omitempty" is:"brakes"`
	// how many of several axles have them
	BrakedAxles *int  `json:"brakedAxles,omitempty" is:"number of axles with brakes, 1..3"`
	Breakaway   *bool `json:"breakaway,omitempty"`
	Chains      *int  `json:"chains,omitempty" is:"number of chains, 0..8"`
	// axle, springs and wheels: moves with the axle
	RunningGear *MassEstimate `json:"runningGear,omitempty" is:"weight of axle and wheels"`
	AxleMoves   *AxleMoves    `json:"axleMoves,omitempty" is:"axle's range, own"`
	Empty       Empty         `json:"empty"`
	Kept        *Kept         `json:"kept,omitempty"`

	Comes Comes `json:"comes,omitempty" is:"trailer"`
	// home-made or a frame without one
	NoPlate bool `json:"noPlate,omitempty"`
	// with wheels and mudguards
	WidthOverAll   *LengthEstimate `json:"widthOverAll,omitempty" is:"width over all"`
	CouplingHeight *length         `json:"couplingHeight,omitempty" is:"{coupling} height, >0..2"`
	Suspension     Suspension      `json:"suspension,omitempty" is:"suspension"`
	// of the springs to the stop
	Travel *length `json:"travel,omitempty" is:"spring travel, 0..1"`
	// of the springs from empty hanging to their rated load
	Sinks *length `json:"sinks,omitempty" is:"springs' sinking at rated load, >0..0.5"`
	// between the axles of a group
	AxleGap *length  `json:"axleGap,omitempty" is:"distance between the axles, 0.3..3"`
	Drawbar *Drawbar `json:"drawbar,omitempty" stage:"racks"`
	Frame   *Frame   `json:"frame,omitempty" stage:"frame"`
	// angle to the car that is asked for, rad
	TurnTo *float64 `json:"turnTo,omitempty" is:"angle to turn to, angle >0..1.9"`
	// between tyre and deck or mudguard, empty
	WheelRoom *length `json:"wheelRoom,omitempty" is:"room over the wheel, 0..2"`
	// as it stands on the wall
	TyreText   string `json:"tyreText,omitempty" is:"text on the {tyre}, text 200"`
	TyreSymbol string `json:"tyreSymbol,omitempty" is:"{tyre}'s speed symbol, key tyreSpeeds"`
	// printed plainly as a limit
	TyreSpeed    *quantity.Speed    `json:"tyreSpeed,omitempty" is:"{tyre} speed, >0..100"`
	TyrePressure *quantity.Pressure `json:"tyrePressure,omitempty" is:"{tyre} pressure, >0..2e6"`
	Floor        Floor              `json:"floor,omitempty" is:"floor"`
	// of the floor, and how far it spans between what it lies on, face to face
	FloorThick *length `json:"floorThick,omitempty" is:"thickness of the floor, 0.001..0.1"`
	FloorSpan  *length `json:"floorSpan,omitempty" is:"span of the floor, 0.05..2"`
	// of one board; and their grade, the lower where none is stated
	BoardWide  *length           `json:"boardWide,omitempty" is:"width of a board, 0.03..0.4"`
	FloorGrade string            `json:"floorGrade,omitempty" is:"grade of the boards, key stocks"`
	Decking    *Decking          `json:"decking,omitempty" stage:"frame"`
	Access     *Access           `json:"access,omitempty" stage:"frame"`
	Tail       Tail              `json:"tail,omitempty" is:"tail"`
	Anchors    map[string]Anchor `json:"anchors,omitempty"`
	Folded     *Size             `json:"folded,omitempty"` // as stored, where it folds
	OnEdge     bool              `json:"onEdge,omitempty"`
	// between the casters that it stands on, on its edge
	EdgeBase *length    `json:"edgeBase,omitempty" is:"distance of its casters, >0..3"`
	Plug     string     `json:"plug,omitempty" is:"plug, key plugs"`
	Wiring   *Wiring    `json:"wiring,omitempty" stage:"wiring"`
	Tipping  *Tipping   `json:"tipping,omitempty" stage:"body"`
	Pump     *Pump      `json:"pump,omitempty" stage:"body"`
	Workshop *Workshop  `json:"workshop,omitempty" stage:"workshop"`
	Finish   *Finish    `json:"finish,omitempty" stage:"finish"`
	Days     *Days      `json:"days,omitempty" stage:"finish/days"`
	Money    *MoneyPlan `json:"money,omitempty" stage:"money"`
	Plate    *PlateText `json:"plate,omitempty" stage:"papers"`
	Lights   string     `json:"lights,omitempty" is:"kind of lamps, key lamps"`
	Papers   Papers     `json:"papers,omitempty" is:"state of the papers" stage:"trailer/money"`
	Deal     *Deal      `json:"deal,omitempty" stage:"trailer/money"`
	// parts that are always on
	Fitted map[string]PartOn `json:"fitted,omitempty" is:"part, ref parts"`
	// of a bed that tilts, behind the ball
	Pivot *length `json:"pivot,omitempty" is:"pivot of the bed, >0..50"`

	// of running gear that has no plate
	Gear       *Gear       `json:"gear,omitempty"`
	SecondLink *SecondLink `json:"secondLink,omitempty"`

	TiePoints map[string]TiePoint `json:"tiePoints,omitempty" stage:"tie"`
}

// Brakes says what brakes a trailer has; empty is not known.
type Brakes string

// Kinds of brake.
const (
	BrakesNone     Brakes = "none"
	BrakesOverrun  Brakes = "overrun"
	BrakesElectric Brakes = "electric"
	BrakesFitted   Brakes = "fitted" // of a kind not stated
)

// AllBrakes lists the kinds of brake.
var AllBrakes = []Brakes{BrakesNone, BrakesOverrun, BrakesElectric, BrakesFitted}

// AxleMoves is where the axle may be set, behind the coupling.
type AxleMoves struct {
	Min   length `json:"min" is:"axle's range, >0..50"`
	Max   length `json:"max" is:"axle's range, >0..50"`
	Pitch length `json:"pitch" is:"axle's range, 0..50"` // of the hanger's holes; 0 is free
}

// Empty is how the empty trailer's mass and centre are known, whichever the
// owner has. Ball and Axle (or Left and Right) readings beat Mass and Ball,
// which beats Mass and Centre, which beats the kind's typical range.
type Empty struct {
	Mass  *MassEstimate `json:"mass,omitempty" is:"empty weight"`
	Ball  *Reading      `json:"ball,omitempty" is:"{ball load} reading"`
	Axle  *Reading      `json:"axle,omitempty" is:"axle reading"`
	Left  *Reading      `json:"left,omitempty" is:"left wheel's reading"`
	Right *Reading      `json:"right,omitempty" is:"right wheel's reading"`
	// behind the ball
	Centre *LengthEstimate `json:"centre,omitempty" is:"place of the empty trailer's centre"`
	// where the axle stood; nil: where it is stated to be
	AxleAt *length `json:"axleAt,omitempty" is:"axle position at the weighing, >0..50"`
	// parts that were on, and where
	Parts map[string]PartOn `json:"parts,omitempty" is:"part, ref parts"`
}

// Reading is what a scale showed, trailer level.
type Reading struct {
	Mass mass `json:"mass" is:"reading, own"`
	// tolerance; nil: that of a weighing
	PlusMinus *mass `json:"plusMinus,omitempty" is:"plus-minus of the reading, 0..1e5"`
	// of the scale behind the ball centre; nil: under the ball
	At *length `json:"at,omitempty" is:"place of the scale, -1..50"`
	// the ball stood on a plank over the scale
	Plank *Plank `json:"plank,omitempty" is:"plank, own"`
}

// Plank is a plank with one end on a block and the other on the scale, set to
// zero with the plank on it: the scale shows To/Span of what stands on it.
type Plank struct {
	Span length `json:"span" is:"distance from block to scale"`
	To   length `json:"to" is:"distance from block to what stands on the plank"`
}

// Part is a thing of the trailer's that has mass and can lift off: rack, ramp,
// prop, toolbox, spare wheel.
type Part struct {
	Order  int             `json:"order"`
	Name   string          `json:"name" is:"name, text 200"`
	Mass   *MassEstimate   `json:"mass,omitempty" is:"weight"`
	Size   Size            `json:"size"`
	Centre Centre          `json:"centre"`
	Slots  map[string]Slot `json:"slots,omitempty" stage:"racks"`
	Kind   string          `json:"kind,omitempty" is:"kind of part, key fittings"`
	// what holds it: pins, bolts, welded
	Undo string `json:"undo,omitempty" stage:"trailer/details"`
	// how it is built; mass, size and centre follow
	Rack   *Rack   `json:"rack,omitempty" stage:"racks"`
	Cradle *Cradle `json:"cradle,omitempty" stage:"racks"`
	Ramp   *Ramp   `json:"ramp,omitempty" stage:"ramps"`

	// what keeps it shut or in its place
	Latch *Latch `json:"latch,omitempty" stage:"trailer/details"`
	// a bought one
	Carrier *BoughtCarrier `json:"carrier,omitempty" stage:"racks"`
	// a body on the deck
	Box *BoxBody `json:"box,omitempty" stage:"body"`
}

// Slot is a place on a part that takes a load, from the part's front face,
// centreline and underside.
type Slot struct {
	Order int    `json:"order"`
	Name  string `json:"name" is:"name, text 200"`
	At    Spot   `json:"at"`
	Tier  string `json:"tier,omitempty"` // of the part's rack

	Pose Pose `json:"pose,omitempty" is:"pose"`
	// of a hull on edge, rad from lying on its keel; nil: EdgeLean
	Lean *float64 `json:"lean,omitempty" is:"lean, angle 0..1.5707963267948966"`
}

// PartOn is a part in its place on the deck.
type PartOn struct {
	At       Spot `json:"at"`
	Turn     int  `json:"turn,omitempty" is:"turn, own"`
	Optional bool `json:"optional,omitempty"` // may stay at home
}

// Outing is one way the trailer is loaded and towed.
type Outing struct {
	Order   int    `json:"order"`
	Name    string `json:"name" is:"name, text 200"`
	Vehicle string `json:"vehicle,omitempty" is:"tow vehicle, ref towVehicles" stage:"job"`
	// all in the car, driver too
	People *MassEstimate `json:"people,omitempty" is:"weight of the people" stage:"job"`
	// luggage in the car
	Gear     *MassEstimate   `json:"gear,omitempty" is:"weight of the luggage, 0..1e5" stage:"job"`
	Distance *length         `json:"distance,omitempty" is:"distance, distance 0..2e7"`
	Speed    *quantity.Speed `json:"speed,omitempty" is:"speed, >0..70"`
	Road     Road            `json:"road,omitempty" is:"road"`
	Slip     *Slip           `json:"slip,omitempty" is:"slip, own" stage:"racks"` // where boats go into the water
	// the worst of it off the road
	Ground  *OffRoad          `json:"ground,omitempty" stage:"vehicle"`
	Parked  *Parked           `json:"parked,omitempty" stage:"road"`
	Layouts map[string]Layout `json:"layouts" is:"trailer, ref trailers"` // by trailer id
	// how it is driven
	Drive *Driving `json:"drive,omitempty" stage:"log/energy"`

	Departures map[string]Departed `json:"departures,omitempty"` // pages of the road log
}

// Departed is a departure card as it was ticked.
type Departed struct {
	Order int             `json:"order"`
	On    string          `json:"on" is:"day, day"` // day, year-month-day
	Ticks map[string]bool `json:"ticks,omitempty"`

	Revision int64 `json:"revision,omitempty"` // of the plan, when the page was begun
}

// Road is the kind of road that an outing takes.
type Road string

// The roads.
const (
	RoadOpen     Road = "open" // ordinary road out of town
	RoadMotorway Road = "motorway"
	RoadTrack    Road = "track" // unsealed
)

// Roads lists the kinds of road.
var Roads = []Road{RoadOpen, RoadMotorway, RoadTrack}

// Layout is how an outing is loaded on one trailer.
type Layout struct {
	// setting for this outing, behind the coupling
	AxleAt     *length                `json:"axleAt,omitempty" is:"axle setting, >0..50"`
	Parts      map[string]PartOn      `json:"parts,omitempty" is:"part, ref parts"`
	Placements map[string]Placement   `json:"placements" is:"load, ref loads"` // by load id
	Readings   map[string]LoadReading `json:"readings,omitempty"`
	Loading    *Loading               `json:"loading,omitempty" stage:"ramps"` // how a machine gets on
	// how a heavy thing without wheels gets on
	Shift    *Shift             `json:"shift,omitempty" stage:"ramps"`
	Lashings map[string]Lashing `json:"lashings,omitempty" stage:"tie"`
}

// LoadReading is a reading of the laden rig.
type LoadReading struct {
	Order int    `json:"order"`
	What  What   `json:"what" is:"what was read, own"`
	Stood *Stood `json:"stood,omitempty"` // how all stood when it was read; nil: as it stands now
	Reading
}

// Stood is how a layout stood when a scale was read.
type Stood struct {
	AxleAt     *length              `json:"axleAt,omitempty" is:"axle setting, >0..50"`
	Parts      map[string]PartOn    `json:"parts,omitempty" is:"part, ref parts"`
	Placements map[string]Placement `json:"placements" is:"load, ref loads"`
}

// Is reports whether the layout stands as it stood then. Pins and what may
// stay at home make no difference.
func (l *Layout) Is(s *Stood) bool {
	if s == nil {
		return true
	}
	same := func(a, b Placement) bool {
		a.Pinned, b.Pinned, a.Optional, b.Optional = false, false, false, false
		a.Grip, b.Grip, a.Mat, b.Mat, a.Blocked, b.Blocked = 0, 0, false, false, nil, nil
		a.Surface, b.Surface = "", ""
		a.Auto, b.Auto = false, false
		return a == b
	}
	axle := l.AxleAt == s.AxleAt || l.AxleAt != nil && s.AxleAt != nil && *l.AxleAt == *s.AxleAt
	return axle && maps.Equal(l.Parts, s.Parts) && maps.EqualFunc(l.Placements, s.Placements, same)
}

// What a reading of the laden rig weighed.
type What string

// Readings of the laden rig.
const (
	ReadBall  What = "ball"
	ReadAxle  What = "axle"
	ReadWhole What = "whole"
	ReadLeft  What = "left"
	ReadRight What = "right"
)

// Whats lists what a reading of the laden rig may weigh.
var Whats = []What{ReadBall, ReadAxle, ReadWhole, ReadLeft, ReadRight}

// Support is what carries a placed load.
type Support string

// The supports.
const (
	OnDeck Support = "deck"
	OnAny  Support = "any" // wherever the app puts it: its owner has not placed it
	OnPart Support = "part"
	OnLoad Support = "load"
)

// Supports lists them.
var Supports = []Support{OnDeck, OnAny, OnPart, OnLoad}

// Placement puts a load on its support.
type Placement struct {
	On       Support `json:"on" is:"what carries it, own"`
	ID       string  `json:"id,omitempty"`   // of the part or load that carries it
	Slot     string  `json:"slot,omitempty"` // of the part
	At       Spot    `json:"at"`
	Turn     int     `json:"turn,omitempty" is:"turn, own"` // degrees clockwise seen from above: 0, 90, 180, 270
	Pinned   bool    `json:"pinned,omitempty"`
	Optional bool    `json:"optional,omitempty"`

	// friction under it; 0: that of its kind on this floor
	Grip float64 `json:"grip,omitempty" is:"friction, count 0..1.2"`
	Mat  bool    `json:"mat,omitempty"` // an anti-slip mat lies under it

	Surface string   `json:"surface,omitempty" is:"pair of surfaces, key surfaces"`
	Blocked *Blocked `json:"blocked,omitempty"`

	Auto bool `json:"-"` // the app placed it: derived, never stored
}

// OffRoad is the worst ground of an outing and how steep it is.
type OffRoad struct {
	On    string  `json:"on" is:"ground, key grounds"`
	Slope float64 `json:"slope,omitempty" is:"slope, angle 0..0.8"`
}

// CarDrive says which wheels of a car or tractor drive.
type CarDrive string

// The drives.
const (
	CarFront CarDrive = "front"
	CarRear  CarDrive = "rear"
	CarAll   CarDrive = "all"
)

// CarDrives lists them.
var CarDrives = []CarDrive{CarFront, CarRear, CarAll}
