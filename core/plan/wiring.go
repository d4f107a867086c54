package plan

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
	LampTriangle       LampUse = "triangle"
	LampRearReflector  LampUse = "rear-reflector"
	LampSideReflector  LampUse = "side-reflector"
	LampFrontReflector LampUse = "front-reflector"
)

// LampUses lists them.
var LampUses = []LampUse{
	LampTail, LampStop, LampTurn, LampPlate, LampFog, LampReverse, LampMarker, LampTriangle, LampRearReflector,
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
