// Package norms holds the regions' published figures as data, each with its
// source and date. They are general figures: states, provinces and countries
// differ, and the plates and the local code come first.
package norms

import (
	"math"

	"zygonos/core/lang/finding"
	"zygonos/core/lang/quantity"
	"zygonos/core/lang/said"
)

type mass = quantity.Mass

const (
	pound mass            = 0.45359237
	inch  quantity.Length = 0.0254
)

// AsOf is when the figures were gathered.
const AsOf = "2026"

func source(title, clause, confidence string) finding.Source {
	return finding.Source{Title: title, Clause: clause, AsOf: AsOf, Confidence: confidence}
}

// Reads says which of the rig's masses a limit is held against.
type Reads string

// What limits read.
const (
	ReadsTotal  Reads = "total"  // the loaded trailer
	ReadsWheels Reads = "wheels" // what its axles bear when coupled
	ReadsBall   Reads = "ball"
	ReadsCar    Reads = "car"   // the car with people, luggage and ball load
	ReadsRear   Reads = "rear"  // the car's rear axle
	ReadsTrain  Reads = "train" // car and trailer, the ball load once
	ReadsSide   Reads = "side"  // one side's wheels
)

// School is one of the respected windows for the ball load.
type School struct {
	ID     string         `json:"id"`
	Name   string         `json:"name"`
	Low    float64        `json:"low"`             // share of the loaded trailer
	Floor  mass           `json:"floor,omitempty"` // kg that is always enough, where the share would ask for more
	High   float64        `json:"high"`
	Reason string         `json:"reason"`
	Source finding.Source `json:"source"`
}

// Schools lists the ball-load windows, as data for the screen too.
var Schools = []School{
	{ID: "ten-fifteen", Name: "10 to 15 %", Low: 0.10, High: 0.15,
		Reason: "A heavy ball damps snaking well behind a stiff, heavy tow vehicle. It needs a hitch rated for it.",
		Source: source("North American towing practice", "general", "C")},
	{ID: "five-ten", Name: "5 to 10 %, for boats", Low: 0.05, High: 0.10,
		Reason: "A boat's motor sits at its stern, and boat trailers are built for a lighter ball.",
		Source: source("North American towing practice", "boat trailers", "C")},
	{ID: "four-seven", Name: "4 to 7 %, or 25 kg", Low: 0.04, Floor: 25, High: 0.07,
		Reason: "Light towbars carry little, so the ball stays light: at least 4 % of the loaded trailer, of which 25 kg is always enough.",
		Source: source("StVZO § 44(3); Regulation (EU) 2021/535", "Annex XIII", "B")},
	{ID: "five-seven", Name: "5 to 7 %", Low: 0.05, High: 0.07,
		Reason: "Usual British practice, never over the towbar's or the car's own figure.",
		Source: source("British towing practice", "general", "C")},
	{ID: "about-ten", Name: "about 10 %, 5 to 15 accepted", Low: 0.05, High: 0.15,
		Reason: "Ten per cent is the aim; makers accept from 5 to 15.",
		Source: source("Australian and New Zealand towing practice", "general", "C")},
}

// RuleSet is one region's general figures.
type RuleSet struct {
	Region         quantity.Region `json:"region"`
	Name           string          `json:"name"`
	School         string          `json:"school"`               // usual ball-load window
	BoatSchool     string          `json:"boatSchool,omitempty"` // of boat trailers, where it is another
	TowReads       Reads           `json:"towReads"`             // what the tow rating is held against
	BrakesAbove    mass            `json:"brakesAbove"`          // kg
	BrakesLow      mass            `json:"brakesLow"`            // where states differ: the least …
	BrakesHigh     mass            `json:"brakesHigh"`           // … and the greatest figure
	BrakesRead     Reads           `json:"brakesRead"`
	BrakesPlated   bool            `json:"brakesPlated,omitempty"` // they count what the plate permits, whatever is on
	BrakesSource   finding.Source  `json:"brakesSource"`
	AllBrakedAbove *mass           `json:"allBrakedAbove,omitempty"` // from here on every axle is braked
	OverrunTo      *mass           `json:"overrunTo,omitempty"`      // up to which overrun brakes are enough
	HalfKerb       bool            `json:"halfKerb"`                 // unbraked: at most half the car's kerb mass
	KerbSource     finding.Source  `json:"kerbSource"`
	BreakawayAbove *mass           `json:"breakawayAbove,omitempty"` // nil: every braked trailer
	ChainsNeeded   int             `json:"chainsNeeded"`             // on an ordinary light trailer; 0: by country
	TwoChainsAbove *mass           `json:"twoChainsAbove,omitempty"`
	ChainsUnbraked bool            `json:"chainsUnbraked"` // only asked of unbraked trailers
	LinkSource     finding.Source  `json:"linkSource"`
	LinkStrength   *finding.Source `json:"linkStrength"`          // each breaks at the laden trailer's mass or more
	BallsDiffer    bool            `json:"ballsDiffer,omitempty"` // balls of several sizes are in common use
	Differs        string          `json:"differs,omitempty"`     // where the owner must look further
}

func kg(v mass) *mass { return &v }

func found(title, clause, confidence string) *finding.Source {
	s := source(title, clause, confidence)
	return &s
}

// RuleSets lists the rule sets in the order in which they are offered.
var RuleSets = []RuleSet{
	{Region: quantity.NorthAmerica, Name: "North America", School: "ten-fifteen", BoatSchool: "five-ten",
		TowReads: ReadsTotal, BallsDiffer: true,
		BrakesAbove: 3000 * pound, BrakesLow: 1000 * pound, BrakesHigh: 4500 * pound, BrakesRead: ReadsTotal,
		BrakesSource: source("State and province codes; 49 CFR 393.42 as reference", "often 3,000 lb gross", "C"),
		ChainsNeeded: 2, LinkStrength: found("49 CFR 393.70(d); SAE J684", "breaks at the gross weight or more", "B"),
		LinkSource: source("State and province codes; 49 CFR 393.43 and 393.70 as reference", "", "B"),
		Differs:    "States and provinces differ: check yours."},
	{Region: quantity.UK, Name: "United Kingdom", School: "five-seven", TowReads: ReadsTotal,
		BrakesAbove: 750, BrakesLow: 750, BrakesHigh: 750, BrakesRead: ReadsWheels, BrakesPlated: true,
		BrakesSource: source("Road Vehicles (Construction and Use) Regulations 1986", "reg. 15, 16", "A"),
		HalfKerb:     true, KerbSource: source("Road Vehicles (Construction and Use) Regulations 1986", "reg. 87", "A"),
		ChainsNeeded: 1, ChainsUnbraked: true, LinkStrength: Practice("each breaks at the laden trailer's mass or more"),
		LinkSource: source("Road Vehicles (Construction and Use) Regulations 1986", "reg. 86A, 86B", "A")},
	{Region: quantity.EU, Name: "EU, typical", School: "four-seven", TowReads: ReadsWheels,
		BrakesAbove: 750, BrakesLow: 750, BrakesHigh: 750, BrakesRead: ReadsWheels, BrakesPlated: true,
		BrakesSource: source("UN Regulation 13; Regulation (EU) 2018/858", "categories O1, O2", "A"),
		HalfKerb:     true, KerbSource: source("Regulation (EU) 2021/535", "Annex XIII", "B"),
		ChainsNeeded: 1, ChainsUnbraked: true, LinkStrength: Practice("each breaks at the laden trailer's mass or more"),
		LinkSource: source("UN Regulation 13", "5.2.2.9", "A"),
		Differs:    "Countries differ: check yours."},
	{Region: quantity.Australia, Name: "Australia", School: "about-ten", TowReads: ReadsTotal,
		BrakesAbove: 750, BrakesLow: 750, BrakesHigh: 750, BrakesRead: ReadsWheels, BrakesPlated: true,
		BrakesSource:   source("Vehicle Standards Bulletin 1", "brakes", "A"),
		AllBrakedAbove: kg(2000), OverrunTo: kg(2000), // by what stands on the wheels; chains by the whole
		BreakawayAbove: kg(2000), ChainsNeeded: 1, TwoChainsAbove: kg(2500),
		LinkStrength: found("ADR 62", "each chain at least the ATM", "B"),
		LinkSource:   source("Vehicle Standards Bulletin 1; ADR 62", "", "A")},
	{Region: quantity.NewZealand, Name: "New Zealand", School: "about-ten", TowReads: ReadsTotal, BallsDiffer: true,
		BrakesAbove: 2000, BrakesLow: 2000, BrakesHigh: 2000, BrakesRead: ReadsTotal,
		BrakesSource:   source("Land Transport Rule: Light-vehicle Brakes 2002", "light trailers", "B"),
		AllBrakedAbove: kg(2500),
		BreakawayAbove: kg(2500), ChainsNeeded: 1, TwoChainsAbove: kg(2000), // crossed; above 2,500 kg beside the breakaway
		LinkStrength: Practice("each breaks at the laden trailer's mass or more"),
		LinkSource:   source("Land Transport Rule: Light-vehicle Brakes 2002", "by mass and brakes", "B")},
}

// Of gives a region's rule set; an unknown region has the UK's.
func Of(r quantity.Region) *RuleSet {
	for i := range RuleSets {
		if RuleSets[i].Region == r {
			return &RuleSets[i]
		}
	}
	return &RuleSets[1]
}

// SchoolOf gives the school by id, or the rule set's usual one for a kind of trailer.
func SchoolOf(id, kind string, r *RuleSet) *School {
	usual := r.School
	if kind == "boat" && r.BoatSchool != "" {
		usual = r.BoatSchool
	}
	for _, want := range []string{id, usual} {
		for i := range Schools {
			if Schools[i].ID == want {
				return &Schools[i]
			}
		}
	}
	return &Schools[0]
}

// BallSize is a standard diameter of a towing ball.
type BallSize struct {
	Diameter quantity.Length `json:"diameter"` // m
	Name     string          `json:"name"`
}

// BallSizes lists the towing balls in use; 50 mm and 2 in are not the same.
var BallSizes = []BallSize{
	{1.875 * inch, "1 7/8 in"},
	{0.050, "50 mm"},
	{2 * inch, "2 in"},
	{2.3125 * inch, "2 5/16 in"},
}

// BallName is a standard ball's name, or its diameter as it is taped.
func BallName(d quantity.Length) said.Piece {
	for _, b := range BallSizes {
		if math.Abs(float64(b.Diameter-d)) < 0.0003 {
			return said.Piece{Text: b.Name}
		}
	}
	return said.Length(d)
}

// BallSource is where the ball diameters come from.
var BallSource = source("SAE J684; ISO 1103", "ball diameters", "A")

// Practice is the source of a figure that is our own stated practice.
func Practice(clause string) *finding.Source {
	s := source("Practice figure of this program", clause, "C")
	return &s
}
