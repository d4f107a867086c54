// Package ailments is the table of what goes wrong with a trailer on the road: what one feels, what causes it, what to look at.
// Chances are of practice (confidence C), checked by authored cases.
package ailments

// Sign is what is felt, heard or seen.
type Sign struct {
	ID   string `json:"id"`
	Says string `json:"says"`
	Stop string `json:"stop,omitempty"` // what to do at once; empty: it may wait for the next stop
}

// Look is something to look at or try: a question that is answered with yes or no.
type Look struct {
	ID   string
	Asks string
	Cost float64 // effort beside the others
	Stop string  // what to do at once where the answer is yes
}

// Cause is what may be behind it.
type Cause struct {
	ID    string  `json:"id"`
	Says  string  `json:"says"`
	Do    string  `json:"-"`
	Prior float64 `json:"-"` // how common it is beside the others
	Needs string  `json:"-"` // what the trailer must have: "", brakes, overrun, springs, lamps
	// chance of a sign and of a yes, where it is this; others have the usual chances
	Shows, Proves map[string]float64 `json:"-"`
}

// Chances of a sign, and of a yes, that have nothing to do with a cause.
const (
	UsualSign = 0.06
	UsualYes  = 0.08
)

const (
	halt = "Stop at the next place out of the traffic, and do not drive on before it is found."
	slow = "Ease off without braking hard, hold the wheel straight, and stop at the next place."
)

// Signs lists what is felt, heard or seen.
var Signs = []Sign{
	{"snakes", "It snakes from side to side", slow},
	{"wobbles", "A wheel wobbles", halt},
	{"smell", "It smells hot, or smokes", halt},
	{"hubHot", "A hub is too hot to touch", halt},
	{"vibrates", "It shakes, more with speed", slow},
	{"hops", "It hops on bumps", ""},
	{"bounces", "It keeps bouncing after a bump", ""},
	{"pulls", "It pulls to one side", ""},
	{"dogTracks", "It runs crooked behind the car", ""},
	{"leans", "It leans to one side", ""},
	{"tailLow", "The car’s tail sags and its steering is light", ""},
	{"noseHigh", "The trailer’s nose points up", ""},
	{"bottoms", "Springs or {tyre}s touch in bumps", ""},
	{"oneTyreHot", "One {tyre} is hotter than the other", ""},
	{"innerWorn", "A {tyre} is worn at its inner edge", ""},
	{"edgesWorn", "A {tyre} is worn at both edges", ""},
	{"middleWorn", "A {tyre} is worn in the middle", ""},
	{"cupped", "A {tyre} is worn in patches", ""},
	{"feathered", "The tread’s edges are sharp to one side", ""},
	{"rumbles", "It rumbles or whines, more with speed", ""},
	{"squeaks", "It squeaks", ""},
	{"rattles", "It rattles", ""},
	{"clunks", "It clunks at the {coupling}", ""},
	{"jerks", "It jerks when braking or pulling off", ""},
	{"brakeDrags", "It rolls heavily, as if braked", ""},
	{"noBrake", "It brakes badly, or pushes the car", ""},
	{"flickers", "A lamp flickers", ""},
	{"fuseBlows", "A lamp fuse blows", ""},
}

// Looks lists what to look at.
var Looks = []Look{
	{"ballLow", "Weigh the ball: is it below its window?", 2, ""},
	{"ballHigh", "Weigh the ball: is it above its window?", 2, ""},
	{"massOver", "Weigh it: is it over plate, axle or {tyre}s?", 4, "Take load off before driving on."},
	{"sideHeavy", "Does one side bear clearly more than the other?", 3, ""},
	{"notLevel", "Coupled on level ground, does the trailer clearly slope?", 1, ""},
	{"pressureLow", "{Tyre}s cold: is one below its pressure?", 1, ""},
	{"pressureHigh", "{Tyre}s cold: are they far above what this load needs?", 1, ""},
	{"nutsLoose", "Does any wheel nut turn under the wrench?", 1, halt},
	{"play", "Jacked up, wheel held top and bottom: does it rock?", 2, "Do not drive on until the bearing is adjusted or changed."},
	{"hubRough", "Jacked up and spun: does it grind or rumble?", 2, "Do not drive on a rough bearing."},
	{"wheelStiff", "Jacked up, brakes off: does a wheel turn hard?", 2, ""},
	{"bulge", "Is there a bulge, a cut or a flat place on a {tyre}?", 1, halt},
	{"rimRuns", "Spun past a fixed point, does a rim run out by over [3 mm]?", 2, ""},
	{"tyreOld", "Is a {tyre} older than seven years by its code?", 1, ""},
	{"headLifts", "Locked on the ball, does the {coupling} lift off or move clearly?", 1, halt},
	{"mountMoves", "Shaken by hand, does the ball mount move in its receiver?", 1, ""},
	{"shaftLoose", "Pushed in by hand, does the overrun shaft slide or knock freely?", 1, ""},
	{"brakeTravel", "Does the brake lever go far past half before it holds?", 1, ""},
	{"springSeen", "Is a leaf cracked, a shackle worn or a rubber torn?", 1, "Do not drive on a broken spring."},
	{"bouncesOn", "Pushed down at a corner, does it swing more than twice?", 1, ""},
	{"squeakAtSpring", "Rocked by hand, does it squeak at springs or hinges?", 1, ""},
	{"axleOff", "From the {coupling} to both hubs: do the two lengths differ by over [5 mm]?", 3, ""},
	{"toeOff", "From rim to rim: does front and rear differ by over [3 mm]?", 3, ""},
	{"rimTilt", "A square on the ground: does a wheel lean inward at its top?", 2, ""},
	{"strapSlack", "Is a strap slack, or has the load moved?", 1, ""},
	{"guardLoose", "Shaken by hand: {mudguard}, tailgate, lamp, {jockey wheel}: is one loose?", 1, ""},
	{"earthPoor", "Lamps on: over half a volt from a lamp’s earth to the car’s?", 2, ""},
	{"plugMoves", "Does the lamp change when the plug is moved?", 1, ""},
	{"wireChafed", "Along frame and fold: is a wire chafed or pinched?", 2, ""},
}

// Causes lists what may be behind it.
var Causes = []Cause{
	{"low-ball", "too little on the ball", "Move load forward until the ball is in its window, and weigh it.", 12, "",
		c("snakes", .85, "noseHigh", .5, "hops", .15), c("ballLow", .92, "notLevel", .3)},
	{"high-ball", "too much on the ball", "Move load back until the ball is in its window, and weigh it.", 7, "",
		c("tailLow", .9, "pulls", .2, "bottoms", .3), c("ballHigh", .92, "notLevel", .4)},
	{"soft-tyre", "a {tyre} that is too soft", "Pump both to the pressure for this load, cold; look for a nail; look again tomorrow.", 12, "",
		c("oneTyreHot", .7, "pulls", .5, "edgesWorn", .7, "snakes", .35, "leans", .3, "bottoms", .2), c("pressureLow", .95)},
	{"hard-tyres", "{tyre}s pumped harder than this load needs", "Let air out to the pressure for this load, never below the minimum.", 6, "",
		c("hops", .8, "middleWorn", .8, "cupped", .25, "rattles", .2), c("pressureHigh", .92)},
	{"bearing", "a wheel bearing that is worn or dry", "Open the hub, look, change or pack it; adjust it by its leaflet.", 10, "",
		c("hubHot", .7, "rumbles", .8, "wobbles", .4, "squeaks", .3, "oneTyreHot", .2, "smell", .3), c("play", .75, "hubRough", .85)},
	{"loose-wheel", "loose wheel nuts", "Tighten by the plate, crosswise; again after [50 km]; look for worn seats.", 4, "",
		c("wobbles", .9, "clunks", .3, "rattles", .4, "vibrates", .6), c("nutsLoose", .97, "play", .4)},
	{"brake-drags", "a brake that does not let go", "Let it cool, free lever and cable, adjust it; look at its drum before the next drive.", 8, "brakes",
		c("hubHot", .8, "brakeDrags", .9, "smell", .6, "oneTyreHot", .5, "squeaks", .35, "pulls", .4), c("wheelStiff", .92)},
	{"brake-worn", "brakes worn or out of adjustment", "Adjust them by the leaflet; measure the linings.", 8, "brakes",
		c("noBrake", .9, "clunks", .2, "jerks", .3, "pulls", .3), c("brakeTravel", .8)},
	{"overrun", "a dry or worn overrun shaft or damper", "Grease the shaft; if it slides by hand without resistance, change the damper.", 6, "overrun",
		c("jerks", .85, "clunks", .7, "noBrake", .3), c("shaftLoose", .85)},
	{"axle-askew", "an axle that is not square to the {drawbar}", "Tape it under Workshop, Axle: it says which hanger to move.", 5, "",
		c("dogTracks", .95, "feathered", .3, "oneTyreHot", .2, "pulls", .2), c("axleOff", .9)},
	{"toe", "wheels that are toed: a bent axle or spindle", "Measure toe under Workshop, Axle; a bent axle is changed, not bent back.", 3, "",
		c("feathered", .85, "innerWorn", .6, "oneTyreHot", .4, "dogTracks", .15), c("toeOff", .9)},
	{"axle-bent", "an axle bent by load", "Take its load off. A bent axle is changed.", 3, "",
		c("innerWorn", .9, "oneTyreHot", .3, "bottoms", .3), c("rimTilt", .9, "massOver", .4)},
	{"one-side", "a load that sits to one side", "Move it to the middle; weigh left and right.", 6, "",
		c("leans", .8, "oneTyreHot", .5, "pulls", .5, "innerWorn", .2), c("sideHeavy", .92)},
	{"overloaded", "more on it than plate, axle or {tyre}s can carry", "Take load off; then look at {tyre}s, springs and axle.", 6, "",
		c("bottoms", .7, "edgesWorn", .35, "oneTyreHot", .2, "innerWorn", .3, "noBrake", .3, "tailLow", .25, "smell", .15), c("massOver", .92)},
	{"undamped", "undamped springs", "Slow down on bad roads; use softer {tyre}s within their limits, dampers, or more load on it.", 7, "springs",
		c("hops", .85, "bounces", .9, "cupped", .6, "rattles", .2), c("bouncesOn", .9)},
	{"broken-spring", "a broken spring, shackle or rubber", "Do not drive on it: change it together with the one on the other side.", 4, "springs",
		c("leans", .6, "clunks", .3, "dogTracks", .5, "squeaks", .35, "bottoms", .4), c("springSeen", .9)},
	{"dry-springs", "dry springs, bushes or hinges", "Grease what rubs; rubber gets silicone, no oil.", 8, "",
		c("squeaks", .9), c("squeakAtSpring", .9)},
	{"mount-play", "play of the ball mount in its receiver", "Shim or clamp it so that it cannot move; the pin stays as it is.", 9, "",
		c("clunks", .75, "rattles", .75, "jerks", .3), c("mountMoves", .95)},
	{"head-play", "a {coupling} that is worn, or not made for this ball size", "Compare the sizes stamped on both; adjust or change the head.", 5, "",
		c("clunks", .85, "jerks", .3, "rattles", .2), c("headLifts", .9)},
	{"loose-part", "a loose {mudguard}, tailgate, lamp or {jockey wheel}", "Tighten or tie it; a locking nut or a rubber keeps it.", 10, "",
		c("rattles", .92, "squeaks", .2), c("guardLoose", .92)},
	{"load-moves", "a load that moves", "Tie it again against its stops; look again after [25 km].", 7, "",
		c("rattles", .35, "clunks", .2, "snakes", .2, "pulls", .3, "leans", .3, "jerks", .3), c("strapSlack", .92)},
	{"out-of-true", "a wheel out of balance, or a bent rim", "Have it balanced; a bent rim is changed.", 6, "",
		c("vibrates", .9, "cupped", .5, "hops", .15), c("rimRuns", .75)},
	{"broken-tyre", "a {tyre} that is coming apart", "Change it here; the other one is just as old.", 4, "",
		c("vibrates", .85, "hops", .3, "oneTyreHot", .3, "wobbles", .4), c("bulge", .92, "tyreOld", .6)},
	{"not-level", "a trailer that is not level", "Set the ball at another height, or move the load; then weigh the ball again.", 5, "",
		c("snakes", .25, "noseHigh", .6, "tailLow", .2, "bottoms", .2), c("notLevel", .95)},
	{"poor-earth", "a poor earth of the lamps", "Clean it to bare metal, tighten, grease. The fault finder is under Wiring.", 10, "lamps",
		c("flickers", .85), c("earthPoor", .88)},
	{"plug", "a corroded or loose plug", "Clean the contacts, bend them open a little, grease; look inside for water.", 9, "lamps",
		c("flickers", .85, "fuseBlows", .2), c("plugMoves", .88)},
	{"chafed", "a chafed or pinched wire", "Cut it back, solder or crimp, sleeve it, tie it away from the edge.", 6, "lamps",
		c("flickers", .5, "fuseBlows", .9), c("wireChafed", .88)},
}

// Other is the weight of what this table does not know: it shows every sign and answers every look like this.
const (
	OtherPrior = 6.0
	OtherShows = 0.15
)

// c is a map of names with their chances.
func c(pairs ...any) map[string]float64 {
	out := map[string]float64{}
	for i := 0; i+1 < len(pairs); i += 2 {
		out[pairs[i].(string)] = pairs[i+1].(float64)
	}
	return out
}
