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
	Format      string                `json:"format"`
	Version     int                   `json:"version"`
	Name        string                `json:"name"`
	Notes       string                `json:"notes,omitempty"`
	Region      quantity.Region       `json:"region"`
	Units       quantity.System       `json:"units"`
	BallSchool  string                `json:"ballSchool,omitempty"` // key into norms.Schools; empty: the region's usual one
	Doubts      map[How]float64       `json:"doubts,omitempty"`     // plus-minus of masses by provenance, share; replaces DefaultDoubts
	Chosen      string                `json:"chosen,omitempty"`     // trailer id
	Loads       map[string]Load       `json:"loads"`
	TowVehicles map[string]TowVehicle `json:"towVehicles"`
	Trailers    map[string]Trailer    `json:"trailers"`
	Parts       map[string]Part       `json:"parts"`
	Wants       map[string]Want       `json:"wants,omitempty"`     // musts and wishes
	Straps      map[string]Strap      `json:"straps,omitempty"`    // what there is to tie down with
	TieSchool   string                `json:"tieSchool,omitempty"` // key into norms.TieSchools; empty: the region's usual one
	Outings     map[string]Outing     `json:"outings"`
}

// How says how a figure is known: its provenance.
type How string

// The provenances, best first.
const (
	Weighed How = "weighed" // weighed or measured on the thing itself
	Plate   How = "plate"
	Maker   How = "maker"
	Typical How = "typical"
	Guessed How = "guessed"
)

// Hows lists the provenances, best first.
var Hows = []How{Weighed, Plate, Maker, Typical, Guessed}

// DefaultDoubts are the plus-minus of a mass by provenance, as a share of the
// value: our own practice figures, shown and editable (docs/method/estimates.md).
var DefaultDoubts = map[How]float64{Weighed: 0.02, Plate: 0.03, Maker: 0.05, Typical: 0.15, Guessed: 0.25}

// DefaultLengthDoubts are the plus-minus of a length by provenance, as a share
// of the value. A measured length is instead within LengthDoubt.
var DefaultLengthDoubts = map[How]float64{Plate: 0.005, Maker: 0.01, Typical: 0.05, Guessed: 0.10}

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
	Value  mass   `json:"value"`
	Counts Counts `json:"counts"`
}

// Counts says what a rating counts.
type Counts string

// What a label's number may count.
const (
	CountsGross   Counts = "gross"
	CountsPayload Counts = "payload"
	CountsUnsure  Counts = "unsure"
)

// Size is a box, m.
type Size struct {
	Length *LengthEstimate `json:"length,omitempty"`
	Width  *LengthEstimate `json:"width,omitempty"`
	Height *LengthEstimate `json:"height,omitempty"`
}

// Spot is a place in a frame: Back from its front face, Right of its
// centreline, Up from its underside.
type Spot struct {
	Back  length `json:"back"`
	Right length `json:"right,omitempty"`
	Up    length `json:"up,omitempty"`
}

// Centre is where a thing's mass centre lies in its own box. What is nil is
// taken at the middle, with a doubt of a twentieth of the box (Back, Right)
// or at 45 % of the height (Up).
type Centre struct {
	Back  *LengthEstimate `json:"back,omitempty"`
	Right *LengthEstimate `json:"right,omitempty"`
	Up    *LengthEstimate `json:"up,omitempty"`
}

// Load is a thing to carry.
type Load struct {
	Order      int                `json:"order"`
	Name       string             `json:"name"`
	Kind       string             `json:"kind,omitempty"` // key into catalogue.Loads
	Mass       *MassEstimate      `json:"mass,omitempty"`
	MassCounts MassCounts         `json:"massCounts,omitempty"`
	Size       Size               `json:"size"`
	Centre     Centre             `json:"centre"`
	Contents   map[string]Content `json:"contents,omitempty"`
	Ends       *EndWeighing       `json:"ends,omitempty"`
	Bulk       *Bulk              `json:"bulk,omitempty"`
	Tank       *Tank              `json:"tank,omitempty"`
	Pieces     *Pieces            `json:"pieces,omitempty"`
	Rolling    *Rolling           `json:"rolling,omitempty"`
	Hull       *Hull              `json:"hull,omitempty"`
}

// MassCounts says whether a load's mass includes its contents.
type MassCounts string

// A load's mass alone (the default) or with its contents.
const (
	MassAlone MassCounts = "alone"
	MassWhole MassCounts = "whole"
)

// Content is a thing inside a load: battery, motor, tackle, fuel.
type Content struct {
	Order int           `json:"order"`
	Name  string        `json:"name"`
	Mass  *MassEstimate `json:"mass,omitempty"`
	At    Spot          `json:"at"` // its centre, from the load's front face
}

// EndWeighing is a load weighed with each end in turn on the scale, level, as
// it travels (contents in).
type EndWeighing struct {
	Front   MassEstimate `json:"front"`
	Rear    MassEstimate `json:"rear"`
	FrontAt length       `json:"frontAt"` // of the support, from the load's front face
	RearAt  length       `json:"rearAt"`
	One     bool         `json:"one,omitempty"` // only the front end was read: the rest of the load's mass is borne at RearAt
}

// TowVehicle is a car or pickup that tows.
type TowVehicle struct {
	Order        int             `json:"order"`
	Name         string          `json:"name"`
	Body         CarBody         `json:"body,omitempty"`      // how it is drawn
	Kerb         *MassEstimate   `json:"kerb,omitempty"`      // ready to drive, driver not counted
	RearEmpty    *MassEstimate   `json:"rearEmpty,omitempty"` // of that on the rear axle
	Gross        *mass           `json:"gross,omitempty"`
	Train        *mass           `json:"train,omitempty"`
	RearLimit    *mass           `json:"rearLimit,omitempty"`
	TowBraked    *mass           `json:"towBraked,omitempty"`
	TowUnbraked  *mass           `json:"towUnbraked,omitempty"`
	BallLimit    *mass           `json:"ballLimit,omitempty"`  // the vehicle's own ball-load limit
	HitchTow     *mass           `json:"hitchTow,omitempty"`   // hitch plate: towed mass
	HitchBall    *mass           `json:"hitchBall,omitempty"`  // hitch plate: ball load
	BallRating   *mass           `json:"ballRating,omitempty"` // stamped on the ball
	BallSize     *length         `json:"ballSize,omitempty"`   // diameter
	BallHeight   *length         `json:"ballHeight,omitempty"`
	Wheelbase    *LengthEstimate `json:"wheelbase,omitempty"`
	RearOverhang *LengthEstimate `json:"rearOverhang,omitempty"` // rear axle to ball
	HitchD       *quantity.Force `json:"hitchD,omitempty"`       // D value of the hitch's plate, N; its S is HitchBall
	Socket       string          `json:"socket,omitempty"`       // key into norms.Plugs
	Adapter      bool            `json:"adapter,omitempty"`      // one for another plug is carried
	BallBehind   *length         `json:"ballBehind,omitempty"`   // ball's middle behind the bumper
	GateReach    *length         `json:"gateReach,omitempty"`    // open tailgate or door: beyond the bumper …
	GateHeight   *length         `json:"gateHeight,omitempty"`   // … and its lowest edge above the ground
}

// Trailer is one candidate or the owner's own.
type Trailer struct {
	Order          int             `json:"order"`
	Name           string          `json:"name"`
	Kind           string          `json:"kind,omitempty"` // key into catalogue.Trailers
	CouplingToAxle *LengthEstimate `json:"couplingToAxle,omitempty"`
	CouplingToDeck *LengthEstimate `json:"couplingToDeck,omitempty"` // to the front board
	DeckLength     *LengthEstimate `json:"deckLength,omitempty"`
	DeckWidth      *LengthEstimate `json:"deckWidth,omitempty"`
	DeckHeight     *LengthEstimate `json:"deckHeight,omitempty"`
	SideHeight     *length         `json:"sideHeight,omitempty"`
	Track          *LengthEstimate `json:"track,omitempty"` // between the tyres' middles
	WheelDiameter  *length         `json:"wheelDiameter,omitempty"`
	Axles          int             `json:"axles,omitempty"`        // 0 is one; two tyres each
	Label          *Rating         `json:"label,omitempty"`        // gross, or what the shop label says
	OnWheels       *mass           `json:"onWheels,omitempty"`     // limit on the wheels when coupled, where the plate gives one
	AxleRating     *mass           `json:"axleRating,omitempty"`   // the axle, both ends together
	SpringRating   *mass           `json:"springRating,omitempty"` // both springs together
	TyreRating     *mass           `json:"tyreRating,omitempty"`   // one tyre
	TyreIndex      *int            `json:"tyreIndex,omitempty"`    // load index, read when TyreRating is not given
	CouplingRating *mass           `json:"couplingRating,omitempty"`
	CouplingBall   *mass           `json:"couplingBall,omitempty"` // ball-load limit of coupling or drawbar
	CouplingSize   *length         `json:"couplingSize,omitempty"` // ball diameter that it takes
	Brakes         Brakes          `json:"brakes,omitempty"`
	Breakaway      *bool           `json:"breakaway,omitempty"`
	Chains         *int            `json:"chains,omitempty"`
	RunningGear    *MassEstimate   `json:"runningGear,omitempty"` // axle, springs and wheels: moves with the axle
	AxleMoves      *AxleMoves      `json:"axleMoves,omitempty"`
	Empty          Empty           `json:"empty"`

	Comes          Comes              `json:"comes,omitempty"`
	NoPlate        bool               `json:"noPlate,omitempty"`      // home-made or a frame without one
	WidthOverAll   *LengthEstimate    `json:"widthOverAll,omitempty"` // with wheels and mudguards
	CouplingHeight *length            `json:"couplingHeight,omitempty"`
	Suspension     Suspension         `json:"suspension,omitempty"`
	Travel         *length            `json:"travel,omitempty"`  // of the springs to the stop
	Sinks          *length            `json:"sinks,omitempty"`   // of the springs from empty hanging to their rated load
	AxleGap        *length            `json:"axleGap,omitempty"` // between the axles of a group
	Drawbar        *Drawbar           `json:"drawbar,omitempty"`
	TurnTo         *float64           `json:"turnTo,omitempty"`    // angle to the car that is asked for, rad
	WheelRoom      *length            `json:"wheelRoom,omitempty"` // between tyre and deck or mudguard, empty
	TyreText       string             `json:"tyreText,omitempty"`  // as it stands on the wall
	TyreSymbol     string             `json:"tyreSymbol,omitempty"`
	TyreSpeed      *quantity.Speed    `json:"tyreSpeed,omitempty"` // printed plainly as a limit
	TyrePressure   *quantity.Pressure `json:"tyrePressure,omitempty"`
	Floor          Floor              `json:"floor,omitempty"`
	Tail           Tail               `json:"tail,omitempty"`
	Anchors        map[string]Anchor  `json:"anchors,omitempty"`
	Folded         *Size              `json:"folded,omitempty"` // as stored, where it folds
	OnEdge         bool               `json:"onEdge,omitempty"`
	Plug           string             `json:"plug,omitempty"` // key into norms.Plugs
	Lights         string             `json:"lights,omitempty"`
	Papers         Papers             `json:"papers,omitempty"`
	Deal           *Deal              `json:"deal,omitempty"`
	Fitted         map[string]PartOn  `json:"fitted,omitempty"` // parts that are always on
	Pivot          *length            `json:"pivot,omitempty"`  // of a bed that tilts, behind the ball

	TiePoints map[string]TiePoint `json:"tiePoints,omitempty"`
}

// Brakes says what brakes a trailer has; empty is not known.
type Brakes string

// Kinds of brake.
const (
	BrakesNone     Brakes = "none"
	BrakesOverrun  Brakes = "overrun"
	BrakesElectric Brakes = "electric"
	BrakesFitted   Brakes = "fitted" // of a kind not told
)

// AxleMoves is where the axle may be set, behind the coupling.
type AxleMoves struct {
	Min   length `json:"min"`
	Max   length `json:"max"`
	Pitch length `json:"pitch"` // of the hanger's holes; 0 is free
}

// Empty is how the empty trailer's mass and centre are known, whichever the
// owner has. Ball and Axle (or Left and Right) readings beat Mass and Ball,
// which beats Mass and Centre, which beats the kind's typical range.
type Empty struct {
	Mass   *MassEstimate     `json:"mass,omitempty"`
	Ball   *Reading          `json:"ball,omitempty"`
	Axle   *Reading          `json:"axle,omitempty"`
	Left   *Reading          `json:"left,omitempty"`
	Right  *Reading          `json:"right,omitempty"`
	Centre *LengthEstimate   `json:"centre,omitempty"` // behind the ball
	AxleAt *length           `json:"axleAt,omitempty"` // where the axle stood; nil: where it is stated to be
	Parts  map[string]PartOn `json:"parts,omitempty"`  // parts that were on, and where
}

// Reading is what a scale showed, trailer level.
type Reading struct {
	Mass      mass    `json:"mass"`
	PlusMinus *mass   `json:"plusMinus,omitempty"` // tolerance; nil: that of a weighing
	At        *length `json:"at,omitempty"`        // of the scale behind the ball centre; nil: under the ball
	Plank     *Plank  `json:"plank,omitempty"`     // the ball stood on a plank over the scale
}

// Plank is a plank with one end on a block and the other on the scale, set to
// nought with the plank on it: the scale shows To/Span of what stands on it.
type Plank struct {
	Span length `json:"span"` // block to scale
	To   length `json:"to"`   // block to what stands on it
}

// Part is a thing of the trailer's that has mass and can lift off: rack, ramp,
// prop, toolbox, spare wheel.
type Part struct {
	Order  int             `json:"order"`
	Name   string          `json:"name"`
	Mass   *MassEstimate   `json:"mass,omitempty"`
	Size   Size            `json:"size"`
	Centre Centre          `json:"centre"`
	Slots  map[string]Slot `json:"slots,omitempty"`
	Kind   string          `json:"kind,omitempty"` // key into catalogue.Fittings
	Undo   string          `json:"undo,omitempty"` // what holds it: pins, bolts, welded
	Rack   *Rack           `json:"rack,omitempty"` // how it is built; mass, size and centre follow
	Cradle *Cradle         `json:"cradle,omitempty"`
	Ramp   *Ramp           `json:"ramp,omitempty"`
}

// Slot is a place on a part that takes a load, from the part's front face,
// centreline and underside.
type Slot struct {
	Order int    `json:"order"`
	Name  string `json:"name"`
	At    Spot   `json:"at"`
	Tier  string `json:"tier,omitempty"` // of the part's rack

	Pose Pose     `json:"pose,omitempty"`
	Lean *float64 `json:"lean,omitempty"` // of a hull on edge, rad from lying on its keel; nil: EdgeLean
}

// PartOn is a part in its place on the deck.
type PartOn struct {
	At       Spot `json:"at"`
	Turn     int  `json:"turn,omitempty"`
	Optional bool `json:"optional,omitempty"` // may stay at home
}

// Outing is one way the trailer is loaded and towed.
type Outing struct {
	Order    int               `json:"order"`
	Name     string            `json:"name"`
	Vehicle  string            `json:"vehicle,omitempty"`
	People   *MassEstimate     `json:"people,omitempty"` // all in the car, driver too
	Gear     *MassEstimate     `json:"gear,omitempty"`   // luggage in the car
	Distance *length           `json:"distance,omitempty"`
	Speed    *quantity.Speed   `json:"speed,omitempty"`
	Road     Road              `json:"road,omitempty"`
	Slip     *Slip             `json:"slip,omitempty"` // where boats go into the water
	Layouts  map[string]Layout `json:"layouts"`        // by trailer id

	Departures map[string]Departed `json:"departures,omitempty"` // pages of the road log
}

// Departed is a departure card as it was ticked.
type Departed struct {
	Order int             `json:"order"`
	On    string          `json:"on"` // day, year-month-day
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
	AxleAt     *length                `json:"axleAt,omitempty"` // setting for this outing, behind the coupling
	Parts      map[string]PartOn      `json:"parts,omitempty"`
	Placements map[string]Placement   `json:"placements"` // by load id
	Readings   map[string]LoadReading `json:"readings,omitempty"`
	Loading    *Loading               `json:"loading,omitempty"` // how a machine gets on
	Lashings   map[string]Lashing     `json:"lashings,omitempty"`
}

// LoadReading is a reading of the laden rig.
type LoadReading struct {
	Order int    `json:"order"`
	What  What   `json:"what"`
	Stood *Stood `json:"stood,omitempty"` // how all stood when it was read; nil: as it stands now
	Reading
}

// Stood is how a layout stood when a scale was read.
type Stood struct {
	AxleAt     *length              `json:"axleAt,omitempty"`
	Parts      map[string]PartOn    `json:"parts,omitempty"`
	Placements map[string]Placement `json:"placements"`
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

// Placement puts a load on its support.
type Placement struct {
	On       Support `json:"on"`
	ID       string  `json:"id,omitempty"`   // of the part or load that carries it
	Slot     string  `json:"slot,omitempty"` // of the part
	At       Spot    `json:"at"`
	Turn     int     `json:"turn,omitempty"` // degrees clockwise seen from above: 0, 90, 180, 270
	Pinned   bool    `json:"pinned,omitempty"`
	Optional bool    `json:"optional,omitempty"`

	Grip float64 `json:"grip,omitempty"` // friction under it; 0: that of its kind on this floor
	Mat  bool    `json:"mat,omitempty"`  // an anti-slip mat lies under it

	Surface string   `json:"surface,omitempty"` // key into norms.Surfaces
	Blocked *Blocked `json:"blocked,omitempty"`

	Auto bool `json:"-"` // the app placed it: derived, never stored
}
