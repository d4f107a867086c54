package norms

// Feed is what a pole of a plug does.
type Feed string

// The feeds.
const (
	FeedLeft      Feed = "left"       // turn
	FeedRight     Feed = "right"      // turn
	FeedStop      Feed = "stop"       // both sides
	FeedTail      Feed = "tail"       // both sides
	FeedTailLeft  Feed = "tail-left"  // by side, so that one may be left on
	FeedTailRight Feed = "tail-right" // and the plate
	FeedStopLeft  Feed = "stop-left"  // stop and turn by one lamp
	FeedStopRight Feed = "stop-right"
	FeedFog       Feed = "fog"
	FeedReverse   Feed = "reverse"
	FeedEarth     Feed = "earth"
	FeedSupply    Feed = "supply" // 12 V, always on
	FeedCharge    Feed = "charge" // 12 V with the engine on
	FeedReturn    Feed = "return" // earth of a supply
	FeedBrake     Feed = "brake"
	FeedNone      Feed = "none"
)

// Pole is a contact of a plug. Colours are those of the wire by the plug's standard; on the other plug the
// same colour may mean another thing, so lamps are kept apart by what they do.
type Pole struct {
	Number string `json:"number"`
	Feed   Feed   `json:"feed"`
	Colour string `json:"colour,omitempty"`
}

// PolesSource is where the pole maps come from.
var PolesSource = source("ISO 1724, ISO 11446, SAE J1239, SAE J2863, AS 4177.5", "pole maps", "B")

// Poles are the contacts of each plug (figures A for ISO 1724, ISO 11446 and 4-flat, B for the others).
var Poles = map[string][]Pole{
	"flat-4": {
		{"1", FeedEarth, "white"}, {"2", FeedTail, "brown"}, {"3", FeedStopLeft, "yellow"}, {"4", FeedStopRight, "green"},
	},
	"blade-7": {
		{"1", FeedEarth, "white"}, {"2", FeedBrake, "blue"}, {"3", FeedTail, ""}, {"4", FeedSupply, ""},
		{"5", FeedStopLeft, ""}, {"6", FeedStopRight, ""}, {"7", FeedReverse, ""},
	},
	"round-6": {
		{"1", FeedEarth, "white"}, {"2", FeedTail, ""}, {"3", FeedStopLeft, ""}, {"4", FeedStopRight, ""},
		{"5", FeedBrake, "blue"}, {"6", FeedSupply, ""},
	},
	"pin-7": {
		{"1", FeedLeft, "yellow"}, {"2", FeedFog, "blue"}, {"3", FeedEarth, "white"}, {"4", FeedRight, "green"},
		{"5", FeedTailRight, "brown"}, {"6", FeedStop, "red"}, {"7", FeedTailLeft, "black"},
	},
	"pin-13": {
		{"1", FeedLeft, "yellow"}, {"2", FeedFog, "blue"}, {"3", FeedEarth, "white"}, {"4", FeedRight, "green"},
		{"5", FeedTailRight, "brown"}, {"6", FeedStop, "red"}, {"7", FeedTailLeft, "black"}, {"8", FeedReverse, "pink"},
		{"9", FeedSupply, "orange"}, {"10", FeedCharge, "grey"}, {"11", FeedReturn, "white"}, {"12", FeedNone, ""},
		{"13", FeedReturn, "white"},
	},
	"flat-7": {
		{"1", FeedLeft, "yellow"}, {"2", FeedReverse, "black"}, {"3", FeedEarth, "white"}, {"4", FeedRight, "green"},
		{"5", FeedBrake, "blue"}, {"6", FeedStop, "red"}, {"7", FeedTail, "brown"},
	},
	"pin-12": {
		{"1", FeedLeft, "yellow"}, {"2", FeedReverse, "black"}, {"3", FeedEarth, "white"}, {"4", FeedRight, "green"},
		{"5", FeedBrake, "blue"}, {"6", FeedStop, "red"}, {"7", FeedTail, "brown"}, {"9", FeedSupply, ""},
	},
}
