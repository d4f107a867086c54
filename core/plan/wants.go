package plan

import "zygonos/core/lang/quantity"

// Want is something that the trailer must do or, as a wish, would better do.
// Which of its figures count follows from What.
type Want struct {
	Order  int      `json:"order"`
	What   WantWhat `json:"what" is:"want, own"`
	Wish   bool     `json:"wish,omitempty"`
	Outing string   `json:"outing,omitempty" is:"outing, ref outings"` // carry
	// storage: the bay; sheet: the sheet
	Size  *Size `json:"size,omitempty"`
	Count *int  `json:"count,omitempty" is:"number of anchors, 0..2000"` // anchors
	// alone: what one person lifts
	Mass     *mass           `json:"mass,omitempty" is:"weight that one person lifts"`
	Height   *length         `json:"height,omitempty" is:"height, >0..5"`               // alone: and how high
	Speed    *quantity.Speed `json:"speed,omitempty" is:"speed, >0..70"`                // road
	Distance *length         `json:"distance,omitempty" is:"distance, distance 0..2e7"` // road: of one trip
	Money    *quantity.Money `json:"money,omitempty" is:"budget"`                       // budget
	Hours    *quantity.Time  `json:"hours,omitempty" is:"hours"`                        // hours: at hand …
	// … until this day, YYYY-MM-DD
	Date   string         `json:"date,omitempty" is:"day, day"`
	Skills map[Skill]bool `json:"skills,omitempty"` // at hand
}

// WantWhat is the kind of a want.
type WantWhat string

// The wants that can be checked.
const (
	WantCarry    WantWhat = "carry"   // an outing with its loads
	WantStorage  WantWhat = "storage" // fits the garage bay or shed
	WantSheet    WantWhat = "sheet"   // takes a full sheet flat
	WantRacksOff WantWhat = "racks-off"
	WantRoad     WantWhat = "road"  // at a given speed, over a given distance
	WantAlone    WantWhat = "alone" // loaded by one person
	WantFloor    WantWhat = "floor" // closed or stone-proof
	WantFlatRamp WantWhat = "flat-ramp"
	WantAnchors  WantWhat = "anchors"
	WantBudget   WantWhat = "budget"
	WantSkills   WantWhat = "skills"
	WantHours    WantWhat = "hours"
)

// Wants lists the wants in the order in which they are offered.
var Wants = []WantWhat{
	WantCarry,
	WantStorage,
	WantSheet,
	WantAlone,
	WantRoad,
	WantFloor,
	WantFlatRamp,
	WantAnchors,
	WantRacksOff,
	WantBudget,
	WantSkills,
	WantHours,
}

// Skill is a way of putting steel together.
type Skill string

// Skills, each harder than the one before.
const (
	SkillBolt   Skill = "bolt"
	SkillWeld   Skill = "weld"
	SkillWelder Skill = "welder" // somebody else is paid to weld
)

// Skills lists the skills.
var Skills = []Skill{SkillBolt, SkillWeld, SkillWelder}

// Comes says how a trailer comes to its owner.
type Comes string

// The ways to come by a trailer.
const (
	ComesKit   Comes = "kit"
	ComesReady Comes = "ready"
	ComesUsed  Comes = "used"
	ComesFrame Comes = "frame" // a former caravan's or camper's
	ComesOwn   Comes = "own"   // to be built
)

// AllComes lists the ways to come by a trailer.
var AllComes = []Comes{ComesReady, ComesKit, ComesUsed, ComesFrame, ComesOwn}

// Floor is what a deck is made of.
type Floor string

// The floors.
const (
	FloorOpen   Floor = "open"   // bare cross-members
	FloorMesh   Floor = "mesh"   // expanded metal
	FloorBoards Floor = "boards" // with gaps
	FloorPly    Floor = "ply"
	FloorPlate  Floor = "plate" // steel or aluminium sheet
)

// Floors lists the floors.
var Floors = []Floor{FloorOpen, FloorMesh, FloorBoards, FloorPly, FloorPlate}

// Tail is what closes the deck at the back.
type Tail string

// The tails.
const (
	TailNone Tail = "none"
	TailGate Tail = "gate"      // a board that drops or lifts off
	TailRamp Tail = "ramp"      // a ramp that stands up when driving
	TailFlat Tail = "flat-ramp" // a ramp that lies flat when driving
)

// Tails lists the tails.
var Tails = []Tail{TailNone, TailGate, TailRamp, TailFlat}

// Suspension is what carries the deck on the axle.
type Suspension string

// The suspensions.
const (
	SpringsNone    Suspension = "none"
	SpringsLeaf    Suspension = "leaf"
	SpringsSlipper Suspension = "slipper"
	SpringsTorsion Suspension = "torsion"
)

// Suspensions lists the suspensions.
var Suspensions = []Suspension{SpringsNone, SpringsLeaf, SpringsSlipper, SpringsTorsion}

// CarBody is the shape of a car's tail.
type CarBody string

// The bodies.
const (
	BodyHatch  CarBody = "hatch"
	BodyEstate CarBody = "estate"
	BodyTall   CarBody = "tall" // off-roader or people carrier
	BodyPickup CarBody = "pickup"
	BodyVan    CarBody = "van"
)

// CarBodies lists the bodies.
var CarBodies = []CarBody{BodyHatch, BodyEstate, BodyTall, BodyPickup, BodyVan}

// Papers says how a trailer stands with the office.
type Papers string

// States of the papers.
const (
	PapersComplete Papers = "complete"
	PapersMissing  Papers = "missing"
	PapersNew      Papers = "new" // none yet: first registration
	PapersNoNeed   Papers = "none-needed"
)

// PapersStates lists the states of the papers.
var PapersStates = []Papers{PapersComplete, PapersNew, PapersMissing, PapersNoNeed}

// Anchor is one tie-down point of a trailer or several alike.
type Anchor struct {
	Order  int    `json:"order"`
	Kind   string `json:"kind" is:"kind of anchor, key anchors"`
	Count  int    `json:"count" is:"number of anchors, 0..200"`
	Rating *mass  `json:"rating,omitempty" is:"anchor's rating"` // of one, from its plate
}

// Deal is what a candidate costs in money and time until it is on the road.
type Deal struct {
	Price *quantity.Money `json:"price,omitempty" is:"price"`
	// what is bid; counts in place of the price
	Offer    *quantity.Money `json:"offer,omitempty" is:"offer"`
	Delivery *quantity.Money `json:"delivery,omitempty" is:"delivery"` // brought to the door
	// or fetched: the drive there and back
	Fetch *quantity.Money `json:"fetch,omitempty" is:"drive to fetch it"`
	// share of the price, where it comes on top
	Tax *float64 `json:"tax,omitempty" is:"tax, share 0..1"`
	// papers, plates, inspection
	Office *quantity.Money `json:"office,omitempty" is:"sum for papers and plates"`
	// where papers are missing: what getting them may cost
	PapersRisk *quantity.Money `json:"papersRisk,omitempty" is:"sum at risk"`
	Hours      *quantity.Time  `json:"hours,omitempty" is:"hours"`      // to bolt or build it
	Skill      Skill           `json:"skill,omitempty" is:"skill"`      // that it takes
	ReadyOn    string          `json:"readyOn,omitempty" is:"day, day"` // YYYY-MM-DD
	// must-buys: floor, jack, spare, lights …
	Buys map[string]Buy `json:"buys,omitempty"`
	// bearings, tyres, rust …
	Repairs map[string]Buy `json:"repairs,omitempty"`
	// by key of catalogue.Inspections
	Inspected map[string]Seen `json:"inspected,omitempty"`
}

// Buy is a thing or a repair that a trailer needs before it is on the road.
type Buy struct {
	Order int             `json:"order"`
	Name  string          `json:"name" is:"name, text 200"`
	Price *quantity.Money `json:"price,omitempty" is:"price"`
	Hours *quantity.Time  `json:"hours,omitempty" is:"hours"`
}

// Seen is what looking at a point of a used trailer came to.
type Seen string

// What an inspection found.
const (
	SeenGood Seen = "good"
	SeenWorn Seen = "worn" // a repair follows
	SeenBad  Seen = "bad"  // reason to leave it
)
