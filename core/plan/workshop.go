package plan

// Workshop is what is taped on a trailer as it is put together.
type Workshop struct {
	Square *SquareTaped `json:"square,omitempty"`
	Level  *LevelRead   `json:"level,omitempty"`
	Axle   *AxleTaped   `json:"axle,omitempty"`
	// what it is made from
	Begins BuildBegins `json:"begins,omitempty" is:"what it is made from"`
	Sleeve *SleeveFit  `json:"sleeve,omitempty"`
	// of the wheel that the axle is ordered for: how far its face stands outside (more) of the tyre's middle
	WheelOffset *length `json:"wheelOffset,omitempty" is:"offset of the wheel, -0.1..0.1"`
	SpindleEnd  string  `json:"spindleEnd,omitempty" is:"spindle's end, text 100"`
	// people who work on it
	People int `json:"people,omitempty" is:"people at work, 1..12"`
	// steps that are done, by their ids
	Done map[string]StepDone `json:"done,omitempty" is:"step"`
}

// SleeveFit is a tube that slides in another, or a stake in its pocket.
type SleeveFit struct {
	Inside  *length `json:"inside,omitempty" is:"clear width of the outer, >0..0.3"`
	Outside *length `json:"outside,omitempty" is:"width of the inner, >0..0.3"`
	// of paint or zinc, on every face that is coated
	Coat     *length `json:"coat,omitempty" is:"thickness of the coat, 0..0.001"`
	BothCoat bool    `json:"bothCoat,omitempty"` // both are coated; else the inner alone
}

// StepDone is a step that is done, as older plans hold it; now it is a record.
type StepDone struct {
	Minutes *float64 `json:"minutes,omitempty" is:"minutes it took, 0..100000"`
	// why it was done though its gate did not hold
	Note string `json:"note,omitempty" is:"note, text 500"`
}

// BuildBegins is what a trailer is made from.
type BuildBegins string

// The beginnings.
const (
	FromKit    BuildBegins = "kit"    // parts to be bolted together
	FromBars   BuildBegins = "bars"   // bars that are cut and welded
	FromCamper BuildBegins = "camper" // an old frame that is stripped
	FromBought BuildBegins = "bought" // a trailer that is there
)

// BuildBeginnings lists them.
var BuildBeginnings = []BuildBegins{FromKit, FromBars, FromCamper, FromBought}

// SquareTaped are the six lengths of four corners: of the frame, the deck, a rack.
type SquareTaped struct {
	Front  *length `json:"front,omitempty" is:"front side, >0..20"`
	Rear   *length `json:"rear,omitempty" is:"rear side, >0..20"`
	Left   *length `json:"left,omitempty" is:"left side, >0..20"`
	Right  *length `json:"right,omitempty" is:"right side, >0..20"`
	FromFL *length `json:"fromFL,omitempty" is:"diagonal from the front left, >0..30"`
	FromFR *length `json:"fromFR,omitempty" is:"diagonal from the front right, >0..30"`
	// how far a reading of the tape may be off
	Tape *length `json:"tape,omitempty" is:"doubt of the tape, 0.0001..0.1"`
	// legs of a triangle at a corner, and what is read across
	LegA   *length `json:"legA,omitempty" is:"leg of the triangle, >0..20"`
	LegB   *length `json:"legB,omitempty" is:"leg of the triangle, >0..20"`
	Across *length `json:"across,omitempty" is:"reading across the triangle, >0..30"`
}

// LevelRead are heights at stands.
type LevelRead struct {
	By     LevelBy               `json:"by,omitempty" is:"instrument"`
	Doubt  *length               `json:"doubt,omitempty" is:"doubt of a height, 0.0001..0.1"`
	Stands map[string]LevelStand `json:"stands,omitempty" is:"stand"`
}

// LevelStand is a stand with what was read there.
type LevelStand struct {
	Order int     `json:"order"`
	Name  string  `json:"name" is:"name, text 200"`
	Back  length  `json:"back" is:"place, -12..25"`
	Right length  `json:"right" is:"place, -3..3"`
	Read  *length `json:"read,omitempty" is:"reading, -5..5"`
}

// LevelBy is what heights are read with.
type LevelBy string

// The instruments.
const (
	LevelLaser LevelBy = "laser" // a level line over all: more is read where it is lower
	LevelWater LevelBy = "water" // a hose: the mark on a stick that stands there
	LevelLong  LevelBy = "long"  // heights over one place, by a straight edge
)

// LevelBys lists them.
var LevelBys = []LevelBy{LevelLaser, LevelWater, LevelLong}

// AxleTaped is how the axle stands: from the coupling's middle to a place at both spindles, the places so far apart.
type AxleTaped struct {
	Left  *length `json:"left,omitempty" is:"length to the left spindle, >0..20"`
	Right *length `json:"right,omitempty" is:"length to the right spindle, >0..20"`
	Apart *length `json:"apart,omitempty" is:"distance of those places, >0..4"`
	// from the left rail's outside to the left hub's face, and the same on the right
	RailLeft  *length `json:"railLeft,omitempty" is:"distance from rail to hub, 0..2"`
	RailRight *length `json:"railRight,omitempty" is:"distance from rail to hub, 0..2"`
	// of a second axle
	SecondLeft  *length `json:"secondLeft,omitempty" is:"length to the left spindle, >0..20"`
	SecondRight *length `json:"secondRight,omitempty" is:"length to the right spindle, >0..20"`
	// between the rims, foremost and rearmost, and a rim across
	RimFront  *length `json:"rimFront,omitempty" is:"distance of the rims, >0..4"`
	RimRear   *length `json:"rimRear,omitempty" is:"distance of the rims, >0..4"`
	RimAcross *length `json:"rimAcross,omitempty" is:"diameter of a rim, 0.1..1"`
	// between the hangers that can be moved; how far their slots or saddles let them
	Hangers *length `json:"hangers,omitempty" is:"distance of the hangers, >0..3"`
	Slots   *length `json:"slots,omitempty" is:"way of the slots, 0..0.3"`
	Tape    *length `json:"tape,omitempty" is:"doubt of the tape, 0.0001..0.1"`
}
