package plan

// Ramp is how a part is a ramp.
type Ramp struct {
	Kind RampKind `json:"kind,omitempty" is:"ramp"` // empty: a pair
	// along it, from tail to foot
	Length length `json:"length" is:"ramp's length, 0..10"`
	Width  length `json:"width,omitempty" is:"ramp's width, 0..3"` // of one
	Rating *mass  `json:"rating,omitempty" is:"ramp's rating"`     // as printed
	// what the rating counts
	Counts RampCounts `json:"counts,omitempty" is:"ramp's rating"`
	// for how many ramps it counts
	Per RampPer `json:"per,omitempty" is:"ramp's rating"`
	// own make: of its side sections
	Profile *Profile `json:"profile,omitempty"`
	// of its treads; nil: as the sides
	Tread *Profile `json:"tread,omitempty"`
	// side sections of one ramp; 0 is 2
	Sides int `json:"sides,omitempty" is:"number of side sections, 0..6"`
	// a leg under its middle
	Middle bool   `json:"middle,omitempty"`
	Gap    length `json:"gap,omitempty" is:"gap between treads, 0..1"` // between treads
	// what keeps it on the tail
	Held RampHeld `json:"held,omitempty" is:"hold on the tail"`
	// how far it lies on the tail
	Lip length `json:"lip,omitempty" is:"ramp's lip, 0..0.5"`
	// of its tongues behind a strip
	Play length `json:"play,omitempty" is:"play of the ramp's tongues, 0..0.5"`
	// up onto it at its foot, and at its top; 20 mm where not stated
	Step *length `json:"step,omitempty" is:"step at the ramp, 0..0.5"`
}

// RampKind is a kind of ramp.
type RampKind string

// The kinds of ramp.
const (
	RampPair RampKind = "pair"
	RampFull RampKind = "full" // one, full width
	RampGate RampKind = "gate" // the tailgate let down
)

// RampKinds lists the kinds.
var RampKinds = []RampKind{RampPair, RampFull, RampGate}

// RampCounts says what a ramp's rating counts.
type RampCounts string

// What a ramp's number may count.
const (
	RampAxle    RampCounts = "axle"
	RampVehicle RampCounts = "vehicle"
)

// RampCountings lists them.
var RampCountings = []RampCounts{RampAxle, RampVehicle}

// RampPer says for how many ramps the rating counts.
type RampPer string

// For the pair together or for each.
const (
	PerPair RampPer = "pair"
	PerEach RampPer = "each"
)

// RampPers lists them.
var RampPers = []RampPer{PerPair, PerEach}

// RampHeld is what keeps a ramp on the tail.
type RampHeld string

// The ways in which a ramp is kept.
const (
	HeldPins   RampHeld = "pins"
	HeldChains RampHeld = "chains" // or straps
	HeldStrip  RampHeld = "strip"  // tongues behind a strip on the tail
	HeldLip    RampHeld = "lip"    // it only lies on
)

// RampHelds lists them.
var RampHelds = []RampHeld{HeldPins, HeldChains, HeldStrip, HeldLip}

// Loading is how a machine gets on the trailer.
type Loading struct {
	Machine string `json:"machine" is:"load, ref loads"`        // load id
	Ramp    string `json:"ramp,omitempty" is:"part, ref parts"` // part id
	// of the ground behind the trailer, away from it, rad
	Fall float64 `json:"fall,omitempty" is:"ground's slope, angle -0.5..0.5"`
	// the ground at the foot lies so much lower
	Kerb length `json:"kerb,omitempty" is:"{kerb}, -1..1"`
	// the coupling over its height level, by the jockey wheel
	Raised length `json:"raised,omitempty" is:"raised {coupling}, -0.6..0.6"`
	// height of a deck that is lowered to load; 0: as it stands
	Deck      length        `json:"deck,omitempty" is:"lowered deck's height, 0..2"`
	Unhitched bool          `json:"unhitched,omitempty"`
	RampInCar bool          `json:"rampInCar,omitempty"`                           // the ramps travel in the car, counted with its gear
	Driver    *MassEstimate `json:"driver,omitempty" is:"driver's weight, 0..1e5"` // who drives it on
	Drive     Drive         `json:"drive,omitempty" is:"drive"`                    // empty: all wheels
	Props     *Props        `json:"props,omitempty"`
	Winch     *Winch        `json:"winch,omitempty"`
}

// Drive is what moves the machine.
type Drive string

// What moves a machine up.
const (
	DriveAll   Drive = "all"
	DriveRear  Drive = "rear"
	DriveFront Drive = "front"
	DriveWinch Drive = "winch"
)

// Drives lists what may move it.
var Drives = []Drive{DriveAll, DriveRear, DriveFront, DriveWinch}

// Props are steadies under the tail.
type Props struct {
	Back length `json:"back" is:"props' place, -5..50"` // behind the headboard
	Gap  length `json:"gap" is:"props' gap, 0..0.5"`    // over the ground when set, unladen
}

// Winch pulls a machine on.
type Winch struct {
	Pull   *mass      `json:"pull,omitempty" is:"winch's pull"`  // rated, on the first layer, as a weight
	Back   length     `json:"back" is:"winch's place, -5..50"`   // of the drum behind the headboard
	Up     length     `json:"up" is:"winch's height, -1..3"`     // above the deck
	Drum   length     `json:"drum,omitempty" is:"drum, 0..1"`    // diameter of the bare drum
	Line   length     `json:"line,omitempty" is:"line, 0..0.1"`  // its thickness
	Layer  int        `json:"layer,omitempty" is:"layer, 0..20"` // that the line runs off; 0 is the first
	Block  bool       `json:"block,omitempty"`                   // a snatch block at the machine
	Wheels WheelState `json:"wheels,omitempty" is:"rolling"`
	// hand: turns of the crank for one of the drum
	Ratio float64 `json:"ratio,omitempty" is:"ratio, 0..1000"`
	Crank length  `json:"crank,omitempty" is:"crank, 0..1"`
	// worked by a lever, in place of a crank
	Lever *Lever `json:"lever,omitempty"`
	// of all line or strap on it, across its flanges, and between them; a strap lies in one lap
	Reach  *length  `json:"reach,omitempty" is:"length of the line, >0..50"`
	Flange *length  `json:"flange,omitempty" is:"flange's diameter, >0..1"`
	Wide   *length  `json:"wide,omitempty" is:"drum's width, >0..1"`
	Amps   *float64 `json:"amps,omitempty" is:"current, >0..1000"` // electric: at rated pull
	Idle   *float64 `json:"idle,omitempty" is:"current, >0..1000"` // without load
	// of the line at rated pull, m/s
	Speed   *float64 `json:"speed,omitempty" is:"line's speed, speed >0..5"`
	Battery *float64 `json:"battery,omitempty" is:"battery, >0..10000"` // A·h
	LineMax *mass    `json:"lineMax,omitempty" is:"line's limit"`       // working load limits …
	HookMax *mass    `json:"hookMax,omitempty" is:"hook's limit"`
	TieMax  *mass    `json:"tieMax,omitempty" is:"shackle's limit"` // … of the shackle or strap
	Post    *Profile `json:"post,omitempty"`
	// where a brace at 45° meets the post, above the deck
	Brace length `json:"brace,omitempty" is:"brace's height, 0..3"`

	// of the drum beside the machine's middle
	Aside length `json:"aside,omitempty" is:"winch's place aside, -2..2"`
	// of the post's foot, half of them behind
	Bolts int    `json:"bolts,omitempty" is:"number of bolts, 0..20"`
	Bolt  length `json:"bolt,omitempty" is:"bolt's diameter, 0..0.05"`          // their diameter
	Gauge length `json:"gauge,omitempty" is:"distance between the bolts, 0..1"` // between their rows
	// key into norms.Bolts, of bolts and pin
	Grade string `json:"grade,omitempty" is:"grade of bolt, key bolts"`
	// diameter of the pin of a winch in a receiver
	Pin length `json:"pin,omitempty" is:"pin's diameter, 0..0.05"`
}

// Lever is a winch that is worked by a lever and a ratchet, stroke by stroke.
type Lever struct {
	// of the handle, from the drum's middle to the hand
	Handle length `json:"handle" is:"handle's length, 0..2"`
	// of one stroke; zero is 60°
	Stroke float64 `json:"stroke,omitempty" is:"stroke, angle 0..3.2"`
}

// WheelState is how a winched machine moves.
type WheelState string

// How a winched machine moves.
const (
	RollsHard   WheelState = "hard"   // on hard ground
	RollsFlat   WheelState = "flat"   // a flat tyre
	RollsSoft   WheelState = "soft"   // sinking in grass or mud
	RollsLocked WheelState = "locked" // wheels that do not turn
)

// WheelStates lists them.
var WheelStates = []WheelState{RollsHard, RollsFlat, RollsSoft, RollsLocked}
