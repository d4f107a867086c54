package plan

import "zygonos/core/lang/quantity"

// Wiring is a trailer's lamps with the harness that feeds them.
type Wiring struct {
	Lamps map[string]Lamp `json:"lamps" is:"lamp"`
	// of every wire, mm²
	Wire *float64 `json:"wire,omitempty" is:"section of the wires in mm², 0.3..70"`
	// from the plug to the frame's front, with its slack
	Lead *length `json:"lead,omitempty" is:"cable before the frame, 0.2..5"`
	// lamps are earthed to the frame, not by a wire of their own
	EarthFrame bool `json:"earthFrame,omitempty"`
	// the wires of all lamps lie in one bundle
	Bundled bool `json:"bundled,omitempty"`
	// fuse of the car's socket, A
	Fuse *float64 `json:"fuse,omitempty" is:"fuse in amperes, >0..100"`
	// members of the frame that the cable runs along, or keeps off
	Route  map[string]RouteUse `json:"route,omitempty" is:"way along a member"`
	Joined WireJoint           `json:"joined,omitempty" is:"way to join wires"`
	// of a trailer that folds or tilts: where its hinge is behind the front board, how far it turns, and how far
	// the cable runs off the hinge's axis
	FoldAt   *length  `json:"foldAt,omitempty" is:"place of the hinge, -6..25"`
	FoldTurn *float64 `json:"foldTurn,omitempty" is:"turn of the hinge, angle 0..3.2"`
	FoldOff  *length  `json:"foldOff,omitempty" is:"distance of the cable from the hinge, 0..1"`
	// between a car that stops and turns by lamps of their own and a trailer that does both by one
	Converter bool `json:"converter,omitempty"`
	// the car watches its bulbs
	Watched *bool  `json:"watched,omitempty"`
	Power   *Power `json:"power,omitempty"`
	// of electric brakes: how many magnets, the resistance of each, the section of the brake's wire, mm², and the
	// capacity of the breakaway's battery, A·h
	Magnets    *int     `json:"magnets,omitempty" is:"number of magnets, 0..12"`
	MagnetOhms *float64 `json:"magnetOhms,omitempty" is:"resistance of a magnet in ohms, 0.5..20"`
	BrakeWire  *float64 `json:"brakeWire,omitempty" is:"section of the brake's wire in mm², 0.3..70"`
	Breakaway  *float64 `json:"breakaway,omitempty" is:"capacity of the breakaway's battery in ampere-hours, >0..100"`
}

// RouteUse says how a cable takes a member.
type RouteUse string

// The ways.
const (
	RouteAlong RouteUse = "along" // rather than others
	RouteOff   RouteUse = "off"   // not along it
)

// RouteUses lists them.
var RouteUses = []RouteUse{RouteAlong, RouteOff}

// WireJoint is how wires are joined where the cable branches.
type WireJoint string

// The ways.
const (
	JoinedCrimp  WireJoint = "crimp" // crimped, with a sleeve that seals
	JoinedSolder WireJoint = "solder"
	JoinedBox    WireJoint = "box" // a junction box
)

// WireJoints lists them.
var WireJoints = []WireJoint{JoinedCrimp, JoinedSolder, JoinedBox}

// Power is a battery on board and what it feeds.
type Power struct {
	Kind     string                `json:"kind,omitempty" is:"kind of battery, key batteries"`
	Capacity *float64              `json:"capacity,omitempty" is:"capacity in ampere-hours, >0..2000"`
	Celsius  *quantity.Temperature `json:"celsius,omitempty" is:"temperature of the battery, -40..60"`
	// the car's own, by leads
	Borrowed bool `json:"borrowed,omitempty"`
	// from its pole to the fuse
	FuseAt   *length `json:"fuseAt,omitempty" is:"way from battery to fuse, 0..20"`
	Isolator bool    `json:"isolator,omitempty"`
	Vented   bool    `json:"vented,omitempty"`
	// charged by the car: length and section (mm²) of the wire from its battery to this one; through a charger
	// that lifts the voltage
	ChargeLong *length             `json:"chargeLong,omitempty" is:"length of the charging wire, >0..50"`
	ChargeWire *float64            `json:"chargeWire,omitempty" is:"section of the charging wire in mm², 0.3..70"`
	Lifts      bool                `json:"lifts,omitempty"`
	Uses       map[string]PowerUse `json:"uses,omitempty" is:"use"`
}

// Warmth is how warm the battery is, °C: as stated, else as warm as its capacity is stated for.
func (p *Power) Warmth() float64 {
	if p.Celsius != nil {
		return float64(*p.Celsius)
	}
	return 25
}

// PowerUse is something that a battery on board feeds.
type PowerUse struct {
	Order   int      `json:"order"`
	Name    string   `json:"name,omitempty" is:"name, text 200"`
	Amps    *float64 `json:"amps,omitempty" is:"current in amperes, >0..1000"`
	Minutes *float64 `json:"minutes,omitempty" is:"minutes of one use, >0..1440"`
	Times   *int     `json:"times,omitempty" is:"uses of an outing, 0..1000"`
	// from the battery to it, one way; its section, mm²; the fuse
	Long *length  `json:"long,omitempty" is:"length of its cable, >0..50"`
	Wire *float64 `json:"wire,omitempty" is:"section of its cable in mm², 0.3..120"`
	Fuse *float64 `json:"fuse,omitempty" is:"its fuse in amperes, >0..1000"`
}

// Lamp is a lamp or a reflector.
type Lamp struct {
	Order int     `json:"order"`
	Name  string  `json:"name,omitempty" is:"name, text 200"`
	What  LampUse `json:"what" is:"use of the lamp"`
	// where its middle is: behind the front board, right of the middle, over the ground
	Back   length `json:"back" is:"place, -12..25"`
	Right  length `json:"right" is:"place, -3..3"`
	Height length `json:"height,omitempty" is:"height over the ground, 0..4"`
	LED    bool   `json:"led,omitempty"`
	// at 12 V; nil: what is usual
	Watts *float64 `json:"watts,omitempty" is:"power in watts, >0..100"`
	// something keeps knocks off it
	Guarded bool `json:"guarded,omitempty"`
	// made for 24 V
	Volts24 bool `json:"volts24,omitempty"`
}

// LampUse is what a lamp is for.
type LampUse string

// The uses.
const (
	LampTail           LampUse = "tail"
	LampStop           LampUse = "stop"
	LampTurn           LampUse = "turn"
	LampPlate          LampUse = "plate"
	LampFog            LampUse = "fog"
	LampReverse        LampUse = "reverse"
	LampMarker         LampUse = "marker"
	LampFront          LampUse = "front"   // white, to the front
	LampOutline        LampUse = "outline" // of a broad trailer's corners
	LampIdent          LampUse = "ident"   // three in the middle of a broad one's rear
	LampTriangle       LampUse = "triangle"
	LampRearReflector  LampUse = "rear-reflector"
	LampSideReflector  LampUse = "side-reflector"
	LampFrontReflector LampUse = "front-reflector"
)

// LampUses lists them.
var LampUses = []LampUse{
	LampTail, LampStop, LampTurn, LampPlate, LampFog, LampReverse, LampMarker, LampFront, LampOutline, LampIdent, LampTriangle, LampRearReflector,
	LampSideReflector, LampFrontReflector,
}

// Shines reports whether it is a lamp, no reflector.
func (u LampUse) Shines() bool {
	switch u {
	case LampTriangle, LampRearReflector, LampSideReflector, LampFrontReflector:
		return false
	}
	return true
}
