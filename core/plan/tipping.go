package plan

import "zygonos/core/lang/quantity"

// Tipping is a bed that empties itself: its hinge, what raises it, and what holds it up. All places in the side
// view with the bed down.
type Tipping struct {
	By TipBy `json:"by" is:"way to tip"`
	// the bed begins so far behind the front board; nil: the whole deck tips
	From  *length `json:"from,omitempty" is:"front of the bed, 0..20"`
	Hinge TipSpot `json:"hinge"`
	// on the bed: where line, strap, cylinder or link is fixed, or hands lift
	Pick TipSpot `json:"pick"`
	// of the mast or roller; the end of a lever
	Top TipSpot `json:"top"`
	// of a cylinder; where mast or lever turn
	Foot TipSpot `json:"foot"`
	// from which the line pulls a mast that turns; the foot of a lever's cylinder
	Drum TipSpot `json:"drum"`
	// of a lever: where its cylinder is fixed
	Knee TipSpot `json:"knee"`
	// of all that turns but the load; or each piece by itself
	Mass   *MassEstimate       `json:"mass,omitempty" is:"weight of the bed"`
	Pieces map[string]TipPiece `json:"pieces,omitempty" is:"piece of the bed"`
	// where it stops
	Stop *float64 `json:"stop,omitempty" is:"angle of the stop, angle >0..1.5"`
	// a chain keeps it from running over
	Chain bool `json:"chain,omitempty"`
	// of a line: parts of its tackle, sheaves that only lead it, on plain bearings
	Parts int  `json:"parts,omitempty" is:"parts of the tackle, 0..8"`
	Leads int  `json:"leads,omitempty" is:"leading sheaves, 0..6"`
	Plain bool `json:"plain,omitempty"`
	// the mast is two posts beside the bed; what a post is of, its height along the trailer
	Beside bool    `json:"beside,omitempty"`
	MastOf Profile `json:"mastOf,omitzero"`
	// the winch: what it lifts on its first layer, whether it is rated for lifting, whether its brake holds by itself
	WinchLifts *mass    `json:"winchLifts,omitempty" is:"rating of the winch"`
	Lifting    *bool    `json:"lifting,omitempty"`
	Brake      *bool    `json:"brake,omitempty"`
	DrumAcross *length  `json:"drumAcross,omitempty" is:"diameter of the drum, >0..1"`
	LineThick  *length  `json:"lineThick,omitempty" is:"thickness of the line, >0..0.1"`
	Layers     int      `json:"layers,omitempty" is:"layers on the drum, 0..12"`
	Ratio      *float64 `json:"ratio,omitempty" is:"ratio of the winch, >0..1000"`
	Crank      *length  `json:"crank,omitempty" is:"length of the crank, >0..1"`
	// electric: at its rating, and how fast its line runs then, m/min
	Amps      *float64 `json:"amps,omitempty" is:"current in amperes, >0..1000"`
	LineSpeed *float64 `json:"lineSpeed,omitempty" is:"line's speed in metres a minute, >0..300"`
	// the whole line, from the drum to its end
	LineLong *length `json:"lineLong,omitempty" is:"length of the line, >0..200"`
	// winches of which one may do
	AtHand map[string]TipWinch `json:"atHand,omitempty" is:"winch you have"`
	// what the line or strap may bear; years that a strap has been in the sun
	LineMax  *mass    `json:"lineMax,omitempty" is:"line's limit"`
	Strap    bool     `json:"strap,omitempty"`
	InTheSun *float64 `json:"inTheSun,omitempty" is:"years in the sun, 0..20"`
	// a cylinder: bore, closed and open between its eyes; what the power pack gives: pressure, flow (l/min), current
	Bore     *length            `json:"bore,omitempty" is:"bore of the cylinder, 0.01..0.3"`
	Closed   *length            `json:"closed,omitempty" is:"length of the closed cylinder, 0.1..5"`
	Open     *length            `json:"open,omitempty" is:"length of the open cylinder, 0.1..10"`
	Pressure *quantity.Pressure `json:"pressure,omitempty" is:"pressure of the pack, >0..5e7"`
	Flow     *quantity.Flow     `json:"flow,omitempty" is:"flow of the pack, >0..100"`
	PackAmps *float64           `json:"packAmps,omitempty" is:"current of the pack in amperes, >0..1000"`
	// gas struts that help: how many alike, what one pushes with when open, closed and open between its eyes
	Struts      int             `json:"struts,omitempty" is:"number of gas struts, 0..6"`
	StrutPush   *quantity.Force `json:"strutPush,omitempty" is:"push of a gas strut, >0..20000"`
	StrutClosed *length         `json:"strutClosed,omitempty" is:"length of the closed strut, 0.05..3"`
	StrutOpen   *length         `json:"strutOpen,omitempty" is:"length of the open strut, 0.05..4"`
	StrutFoot   TipSpot         `json:"strutFoot"`
	StrutPick   TipSpot         `json:"strutPick"`
	// the hinge: its pins, and whether each is held on both sides of the bed's lug
	HingePin  *length `json:"hingePin,omitempty" is:"diameter of a hinge pin, 0.004..0.1"`
	HingePins int     `json:"hingePins,omitempty" is:"number of hinge pins, 0..6"`
	PinBoth   bool    `json:"pinBoth,omitempty"`
	// what the load slides on, and how it is
	Lining string `json:"lining,omitempty" is:"lining of the bed, key linings"`
	Wet    bool   `json:"wet,omitempty"`
	Frozen bool   `json:"frozen,omitempty"`
	// how far the tailgate opens, square to the bed, and how large the lumps are
	GateHung  GateHung `json:"gateHung,omitempty" is:"where the tailgate is hung"`
	SidesTied bool     `json:"sidesTied,omitempty"` // over the tail, by a bar or a chain
	GateOpens *length  `json:"gateOpens,omitempty" is:"opening of the tailgate, >0..3"`
	Lumps     *length  `json:"lumps,omitempty" is:"size of the lumps, >0..2"`
	// under the raised bed, and what it bears
	Prop    bool  `json:"prop,omitempty"`
	PropMax *mass `json:"propMax,omitempty" is:"what the prop bears"`
	// it tips unhitched as well
	Unhitched bool `json:"unhitched,omitempty"`
	// the ground across, rad
	Slope *float64 `json:"slope,omitempty" is:"slope of the ground, angle 0..0.5"`
}

// TipSpot is a place in the side view: behind the front board, over the deck.
type TipSpot struct {
	Back length `json:"back" is:"place, -12..25"`
	Up   length `json:"up" is:"height over the deck, -3..5"`
}

// TipBy says what raises a bed.
type TipBy string

// The ways.
const (
	TipByMast     TipBy = "mast"     // a winch's line over a fixed mast, or a strap over a roller on an arm
	TipBySwing    TipBy = "swing"    // over a mast that turns about its foot
	TipByCylinder TipBy = "cylinder" // straight under the bed
	TipByLever    TipBy = "lever"    // a cylinder with a lever
	TipByHand     TipBy = "hand"
)

// TipBys lists them.
var TipBys = []TipBy{TipByMast, TipBySwing, TipByCylinder, TipByLever, TipByHand}

// TipPiece is a part of the bed: floor, cage, box, liner, tailgate.
type TipPiece struct {
	Order int           `json:"order"`
	Name  string        `json:"name" is:"name, text 200"`
	Mass  *MassEstimate `json:"mass,omitempty" is:"weight of the piece"`
	At    TipSpot       `json:"at"`
}

// TipWinch is a winch that is at hand.
type TipWinch struct {
	Order   int    `json:"order"`
	Name    string `json:"name" is:"name, text 200"`
	Lifts   *mass  `json:"lifts,omitempty" is:"rating of the winch"`
	Lifting *bool  `json:"lifting,omitempty"`
	Brake   *bool  `json:"brake,omitempty"`
}

// GateHung says how a tailgate opens while the bed tips.
type GateHung string

// The ways.
const (
	GateTop    GateHung = "top"    // it swings at its upper edge, the sides held by its pins
	GateBottom GateHung = "bottom" // it hangs down
	GateOff    GateHung = "off"    // taken off
)

// GateHungs lists them.
var GateHungs = []GateHung{GateTop, GateBottom, GateOff}
