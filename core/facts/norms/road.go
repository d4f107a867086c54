package norms

import (
	"zygonos/core/lang/finding"
	"zygonos/core/lang/quantity"
)

// RoadRules are a region's general figures for size on the road and speed.
// A nil figure is by state or country.
type RoadRules struct {
	Width      quantity.Length  `json:"width"`                // over all, m
	WidthAlso  string           `json:"widthAlso,omitempty"`  // what else to know
	LoadWidth  *quantity.Length `json:"loadWidth,omitempty"`  // over all with a load that sticks out
	BodyLength *quantity.Length `json:"bodyLength,omitempty"` // of the trailer without its drawbar, behind a car
	AllLength  *quantity.Length `json:"allLength,omitempty"`  // of the trailer with it
	SideLimit  *quantity.Length `json:"sideLimit,omitempty"`  // load beyond each side
	SideFlag   *quantity.Length `json:"sideFlag,omitempty"`   // beyond which it is flagged
	RearMarks  []RearMark       `json:"rearMarks"`            // least first
	RearDiffer string           `json:"rearDiffer,omitempty"` // limits by state or country
	SizeSource finding.Source   `json:"sizeSource"`
	Open       *quantity.Speed  `json:"open,omitempty"`     // with a trailer, ordinary road
	Motorway   *quantity.Speed  `json:"motorway,omitempty"` // and motorway
	SpeedSays  string           `json:"speedSays,omitempty"`
	SpeedFrom  finding.Source   `json:"speedFrom"`
}

// RearMark is what a load that reaches beyond the tail by more than Over needs.
type RearMark struct {
	Over quantity.Length `json:"over"`
	Does string          `json:"does"`
}

func metres(v quantity.Length) *quantity.Length { return &v }
func kmh(v float64) *quantity.Speed             { s := quantity.Speed(v / 3.6); return &s }
func mph(v float64) *quantity.Speed             { s := quantity.Speed(v * 0.44704); return &s }

// Roads are the road rules by region.
var Roads = map[quantity.Region]RoadRules{
	quantity.NorthAmerica: {
		Width: 102 * inch, WidthAlso: "96 in on some roads", SideFlag: metres(4 * inch),
		RearMarks:  []RearMark{{48 * inch, "Flag it: red or orange, 18 × 18 in, each side."}},
		RearDiffer: "States and provinces limit the overhang: check yours.",
		SizeSource: source("23 CFR 658.15; 49 CFR 393.87", "width, flags", "A"),
		SpeedSays:  "States set it, some 55 mph.", SpeedFrom: source("State and province codes", "speed with a trailer", "B")},
	quantity.UK: {
		Width: 2.55, LoadWidth: metres(2.9), SideLimit: metres(0.305),
		RearMarks: []RearMark{
			{1, "Make it plainly visible."},
			{2, "Fit an end marker board, lit by night."},
			{3.05, "Notify the police beforehand."},
		},
		BodyLength: metres(7),
		SizeSource: source("Road Vehicles (Construction and Use) Regulations 1986", "reg. 7, 8, 82; Sch. 12", "A"),
		Open:       mph(50), Motorway: mph(60), SpeedFrom: source("Road Traffic Regulation Act 1984", "Sch. 6", "A")},
	quantity.EU: {
		Width: 2.55, AllLength: metres(12), RearMarks: []RearMark{{1, "Flag or panel; a red lamp by night."}},
		RearDiffer: "Countries limit it to 1.5 to 3 m: check yours.",
		SizeSource: source("Directive 96/53/EC; national road codes", "Annex I", "B"),
		Open:       kmh(80), Motorway: kmh(80), SpeedSays: "Often 80 km/h, by country.",
		SpeedFrom: source("National road codes", "speed with a trailer", "B")},
	quantity.Australia: {
		Width: 2.5, LoadWidth: metres(2.5), SideLimit: metres(0.15),
		RearMarks:  []RearMark{{1.2, "Flag of 300 mm or more; a red lamp by night."}},
		RearDiffer: "States limit it: check yours.",
		SizeSource: source("Vehicle Standards Bulletin 1; national load rules", "dimensions", "B"),
		SpeedSays:  "States set it.", SpeedFrom: source("State road rules", "speed with a trailer", "C")},
	quantity.NewZealand: {
		Width: 2.55, LoadWidth: metres(2.55),
		RearMarks:  []RearMark{{1, "Flag of 400 × 300 mm or more; a lamp by night."}},
		SizeSource: source("Land Transport Rule: Vehicle Dimensions and Mass 2016", "", "B"),
		Open:       kmh(90), Motorway: kmh(90), SpeedFrom: source("Land Transport (Road User) Rule 2004", "5.4", "A")},
}

// RoadOf gives a region's road rules; an unknown region has the UK's.
func RoadOf(r quantity.Region) *RoadRules {
	rules, ok := Roads[r]
	if !ok {
		rules = Roads[quantity.UK]
	}
	return &rules
}

// Plug is a kind of electrical plug and socket between car and trailer.
type Plug struct {
	ID   string `json:"id"`
	Name string `json:"name"`
}

// Plugs lists the plugs. Ones of different kinds do not fit without an adapter.
var Plugs = []Plug{
	{"flat-4", "4-flat (SAE J1239)"},
	{"round-6", "6-round"},
	{"blade-7", "7-blade (SAE J2863)"},
	{"pin-7", "7-pin (ISO 1724, 12N)"},
	{"flat-7", "7-flat (AS 4177.5)"},
	{"pin-12", "12-flat (AS 4177.5)"},
	{"pin-13", "13-pin (ISO 11446)"},
}

// HitchClass is a receiver's usual class; the plate rules.
type HitchClass struct {
	ID   string `json:"id"`
	Tow  mass   `json:"tow"`
	Ball mass   `json:"ball"`
}

// HitchClasses are the usual receiver classes of North America (confidence C,
// the lower figures where makers differ).
var HitchClasses = []HitchClass{
	{"I", 2000 * pound, 200 * pound},
	{"II", 3500 * pound, 350 * pound},
	{"III", 5000 * pound, 500 * pound},
	{"IV", 10000 * pound, 1000 * pound},
}
