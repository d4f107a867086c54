package norms

import (
	"zygonos/core/lang/finding"
	"zygonos/core/lang/quantity"
)

// LampRule is what a region asks of a kind of lamp, as general figures: the local code rules.
type LampRule struct {
	What      string  // of plan.LampUses
	Least     int     // how many at least; an even number half on each side
	Ends      bool    // on each side one in the front half and one in the rear half
	Over      float64 // kg of gross weight over which it is asked; zero: always
	WideOver  float64 // m of width over all, the same
	LongOver  float64 // m of length over all, the same
	Low, High float64 // m over the ground
	Edge      float64 // m from the trailer's side at most; zero: no such rule
	Apart     float64 // m between the inner edges of a pair
	ApartThin float64 // where the trailer is narrower than 1.3 m
}

// Asks reports whether a trailer of so much gross weight (kg), width and length over all (m) needs it.
func (r *LampRule) Asks(gross, wide, long float64) bool {
	return (r.Over == 0 || gross > r.Over) && (r.WideOver == 0 || wide > r.WideOver) &&
		(r.LongOver == 0 || long > r.LongOver)
}

// Inch is one in metres.
const Inch = 0.0254

var (
	// unece are UN R48's (B): tail, stop and turn 350 to 1500 mm up, tail and turn at most 400 mm in, 600 apart;
	// reversing lamps 250 to 1200, reflectors 250 to 900.
	unece = []LampRule{
		{What: "tail", Least: 2, Low: 0.350, High: 1.500, Edge: 0.400, Apart: 0.600, ApartThin: 0.400},
		{What: "stop", Least: 2, Low: 0.350, High: 1.500, Apart: 0.600, ApartThin: 0.400},
		{What: "turn", Least: 2, Low: 0.350, High: 1.500, Edge: 0.400, Apart: 0.600, ApartThin: 0.400},
		{What: "plate", Least: 1},
		{What: "fog", Least: 1, Low: 0.250, High: 1.000},
		{What: "reverse", Least: 1, Over: 750, Low: 0.250, High: 1.200},
		{What: "triangle", Least: 2, Low: 0.250, High: 0.900, Edge: 0.400},
		{What: "side-reflector", Least: 2, Low: 0.250, High: 0.900},
		{What: "front-reflector", Least: 2, Low: 0.250, High: 0.900},
		{What: "front", Least: 2, WideOver: 1.6},
		{What: "outline", Least: 2, WideOver: 2.1},
		{What: "marker", Least: 4, LongOver: 6},
	}
	// american are 49 CFR 393.11's and FMVSS 108's (B): side reflectors and side markers amber in front, red at the rear.
	american = []LampRule{
		{What: "tail", Least: 2, Low: 15 * Inch, High: 72 * Inch},
		{What: "stop", Least: 2, Low: 15 * Inch, High: 72 * Inch},
		{What: "turn", Least: 2, Low: 15 * Inch, High: 83 * Inch},
		{What: "plate", Least: 1},
		{What: "rear-reflector", Least: 2, Low: 15 * Inch, High: 60 * Inch},
		{What: "side-reflector", Least: 4, Ends: true, Low: 15 * Inch, High: 60 * Inch},
		{What: "marker", Least: 4, Ends: true, Low: 15 * Inch},
		{What: "outline", Least: 4, WideOver: 80*Inch - 1e-6}, // clearance lamps, from 80 in on
		{What: "ident", Least: 3, WideOver: 80*Inch - 1e-6},
	}
	// australian are those of VSB 1 and of New Zealand in general (C).
	australian = []LampRule{
		{What: "tail", Least: 2, Low: 0.350, High: 1.500, Edge: 0.400, Apart: 0.600, ApartThin: 0.400},
		{What: "stop", Least: 2, Low: 0.350, High: 1.500, Edge: 0.400, Apart: 0.600, ApartThin: 0.400},
		{What: "turn", Least: 2, Low: 0.350, High: 1.500, Edge: 0.400, Apart: 0.600, ApartThin: 0.400},
		{What: "plate", Least: 1},
		{What: "rear-reflector", Least: 2, Low: 0.250, High: 0.900, Edge: 0.400},
	}
)

// Where the rules come from.
var (
	uneceSource      = source("UN R48", "places of lamps, general figures: check your local code", "B")
	americanSource   = source("49 CFR 393.11, FMVSS 108", "places of lamps, general figures: check your state's code", "B")
	australianSource = source("VSB 1 and national rules", "places of lamps, general figures: check your local code", "C")
)

// LampRules are a region's.
func LampRules(r quantity.Region) ([]LampRule, finding.Source) {
	switch r {
	case quantity.NorthAmerica:
		return american, americanSource
	case quantity.Australia, quantity.NewZealand:
		return australian, australianSource
	}
	return unece, uneceSource
}
