package plan

import (
	"zygonos/core/lang/quantity"
	"zygonos/core/lang/said"
)

// Ramp is how a part is a ramp.
type Ramp struct {
	Kind    RampKind   `json:"kind,omitempty"`    // empty: a pair
	Length  length     `json:"length"`            // along it, from tail to foot
	Width   length     `json:"width,omitempty"`   // of one
	Rating  *mass      `json:"rating,omitempty"`  // as printed
	Counts  RampCounts `json:"counts,omitempty"`  // what the rating counts
	Per     RampPer    `json:"per,omitempty"`     // for how many ramps it counts
	Profile *Profile   `json:"profile,omitempty"` // own make: of its side sections
	Tread   *Profile   `json:"tread,omitempty"`   // of its treads; nil: as the sides
	Sides   int        `json:"sides,omitempty"`   // side sections of one ramp; 0 is 2
	Middle  bool       `json:"middle,omitempty"`  // a leg under its middle
	Gap     length     `json:"gap,omitempty"`     // between treads
	Held    RampHeld   `json:"held,omitempty"`    // what keeps it on the tail
	Lip     length     `json:"lip,omitempty"`     // how far it lies on the tail
	Play    length     `json:"play,omitempty"`    // of its tongues behind a strip
	Step    *length    `json:"step,omitempty"`    // up onto it at its foot, and at its top; 20 mm where not told
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

// RampPer says for how many ramps the rating counts.
type RampPer string

// For the pair together or for each.
const (
	PerPair RampPer = "pair"
	PerEach RampPer = "each"
)

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
	Machine   string        `json:"machine"`          // load id
	Ramp      string        `json:"ramp,omitempty"`   // part id
	Fall      float64       `json:"fall,omitempty"`   // of the ground behind the trailer, away from it, rad
	Kerb      length        `json:"kerb,omitempty"`   // the ground at the foot lies so much lower
	Raised    length        `json:"raised,omitempty"` // the coupling over its height level, by the jockey wheel
	Deck      length        `json:"deck,omitempty"`   // height of a deck that is lowered to load; 0: as it stands
	Unhitched bool          `json:"unhitched,omitempty"`
	Driver    *MassEstimate `json:"driver,omitempty"` // who drives it on
	Drive     Drive         `json:"drive,omitempty"`  // empty: all wheels
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
	Back length `json:"back"` // behind the headboard
	Gap  length `json:"gap"`  // over the ground when set, unladen
}

// Winch pulls a machine on.
type Winch struct {
	Pull    *mass      `json:"pull,omitempty"`  // rated, on the first layer, as a weight
	Back    length     `json:"back"`            // of the drum behind the headboard
	Up      length     `json:"up"`              // above the deck
	Drum    length     `json:"drum,omitempty"`  // diameter of the bare drum
	Line    length     `json:"line,omitempty"`  // its thickness
	Layer   int        `json:"layer,omitempty"` // that the line runs off; 0 is the first
	Block   bool       `json:"block,omitempty"` // a snatch block at the machine
	Wheels  WheelState `json:"wheels,omitempty"`
	Ratio   float64    `json:"ratio,omitempty"` // hand: turns of the crank for one of the drum
	Crank   length     `json:"crank,omitempty"`
	Amps    *float64   `json:"amps,omitempty"`    // electric: at rated pull
	Idle    *float64   `json:"idle,omitempty"`    // without load
	Speed   *float64   `json:"speed,omitempty"`   // of the line at rated pull, m/s
	Battery *float64   `json:"battery,omitempty"` // A·h
	LineMax *mass      `json:"lineMax,omitempty"` // working load limits …
	HookMax *mass      `json:"hookMax,omitempty"`
	TieMax  *mass      `json:"tieMax,omitempty"` // … of the shackle or strap
	Post    *Profile   `json:"post,omitempty"`
	Brace   length     `json:"brace,omitempty"` // where a brace at 45° meets the post, above the deck

	Aside length `json:"aside,omitempty"` // of the drum beside the machine's middle
	Bolts int    `json:"bolts,omitempty"` // of the post's foot, half of them behind
	Bolt  length `json:"bolt,omitempty"`  // their diameter
	Gauge length `json:"gauge,omitempty"` // between their rows
	Grade string `json:"grade,omitempty"` // key into norms.Bolts, of bolts and pin
	Pin   length `json:"pin,omitempty"`   // diameter of the pin of a winch in a receiver
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

func (c *cleaner) ramp(path string, r *Ramp) {
	c.bound(path+"/length", "ramp's length", &r.Length, 0, 10)
	c.bound(path+"/width", "ramp's width", &r.Width, 0, 3)
	c.bound(path+"/gap", "gap between treads", &r.Gap, 0, 1)
	c.bound(path+"/lip", "ramp's lip", &r.Lip, 0, 0.5)
	c.bound(path+"/play", "play of the ramp's tongues", &r.Play, 0, 0.5)
	number(c, path+"/step", "step at the ramp", &r.Step, quantity.KindLength, 0, 0.5, false)
	c.limit(path+"/rating", "ramp's rating", &r.Rating)
	one(c, path+"/kind", "ramp", &r.Kind, RampKinds)
	one(c, path+"/counts", "ramp's rating", &r.Counts, []RampCounts{RampAxle, RampVehicle})
	one(c, path+"/per", "ramp's rating", &r.Per, []RampPer{PerPair, PerEach})
	one(c, path+"/held", "hold on the tail", &r.Held, RampHelds)
	if r.Profile != nil {
		c.profile(path+"/profile", r.Profile)
	}
	if r.Tread != nil {
		c.profile(path+"/tread", r.Tread)
	}
	if r.Sides < 0 || r.Sides > 6 {
		c.say(path+"/sides", "A ramp has 1 to 6 side sections.")
		r.Sides = 0
	}
}

func (c *cleaner) loading(path string, l *Loading, p *Plan) {
	if _, ok := p.Loads[l.Machine]; l.Machine != "" && !ok {
		c.say(path+"/machine", "This load is not in the plan.")
		l.Machine = ""
	}
	if _, ok := p.Parts[l.Ramp]; l.Ramp != "" && !ok {
		c.say(path+"/ramp", "There is no such part in the plan.")
		l.Ramp = ""
	}
	if !(l.Fall >= -0.5 && l.Fall <= 0.5) {
		c.say(path+"/fall", "The ground's slope must lie between % and %.", said.Of(quantity.KindAngle, -0.5), said.Of(quantity.KindAngle, 0.5))
		l.Fall = 0
	}
	c.bound(path+"/kerb", "kerb", &l.Kerb, -1, 1)
	c.bound(path+"/deck", "lowered deck's height", &l.Deck, 0, 2)
	c.bound(path+"/raised", "raised coupling", &l.Raised, -0.6, 0.6)
	c.weight(path+"/driver", "driver's weight", &l.Driver, false)
	one(c, path+"/drive", "drive", &l.Drive, Drives)
	if q := l.Props; q != nil {
		c.bound(path+"/props/back", "props' place", &q.Back, -5, maxLength)
		c.bound(path+"/props/gap", "props' gap", &q.Gap, 0, 0.5)
	}
	w := l.Winch
	if w == nil {
		return
	}
	path += "/winch"
	c.limit(path+"/pull", "winch's pull", &w.Pull)
	c.bound(path+"/back", "winch's place", &w.Back, -5, maxLength)
	c.bound(path+"/up", "winch's height", &w.Up, -1, 3)
	c.bound(path+"/drum", "drum", &w.Drum, 0, 1)
	c.bound(path+"/line", "line", &w.Line, 0, 0.1)
	c.bound(path+"/crank", "crank", &w.Crank, 0, 1)
	c.bound(path+"/aside", "winch's place aside", &w.Aside, -2, 2)
	c.bound(path+"/brace", "brace's height", &w.Brace, 0, 3)
	c.bound(path+"/bolt", "bolt's diameter", &w.Bolt, 0, 0.05)
	c.bound(path+"/gauge", "distance between the bolts", &w.Gauge, 0, 1)
	c.bound(path+"/pin", "pin's diameter", &w.Pin, 0, 0.05)
	if w.Bolts < 0 || w.Bolts > 20 {
		c.say(path+"/bolts", "The number of bolts must lie between 0 and 20.")
		w.Bolts = 0
	}
	one(c, path+"/wheels", "rolling", &w.Wheels, WheelStates)
	c.grade(path+"/grade", &w.Grade)
	if w.Layer < 0 || w.Layer > 20 {
		c.say(path+"/layer", "The layer must lie between 1 and 20.")
		w.Layer = 0
	}
	if !(w.Ratio >= 0 && w.Ratio <= 1000) {
		c.say(path+"/ratio", "The ratio must lie between 1 and 1000.")
		w.Ratio = 0
	}
	for _, v := range []struct {
		field, what string
		v           **float64
		most        float64
	}{{"amps", "current", &w.Amps, 1000}, {"idle", "current", &w.Idle, 1000}, {"speed", "line's speed", &w.Speed, 5}, {"battery", "battery", &w.Battery, 10000}} {
		number(c, path+"/"+v.field, v.what, v.v, quantity.KindCount, 0, v.most, true)
	}
	c.limit(path+"/lineMax", "line's limit", &w.LineMax)
	c.limit(path+"/hookMax", "hook's limit", &w.HookMax)
	c.limit(path+"/tieMax", "shackle's limit", &w.TieMax)
	if w.Post != nil {
		c.profile(path+"/post", w.Post)
	}
}
