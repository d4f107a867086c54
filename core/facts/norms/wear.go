package norms

// Wearing is a thing with a clock: months, metres on the road, or both, whichever comes first (practice, C; the leaflet first).
type Wearing struct {
	ID     string
	Name   string
	Months int     // 0: none
	Far    float64 // m; 0: none
	Does   string  // what is done
	Needs  string  // "", "brakes", "leaf", "winch", "deck", "lamps": what a trailer must have for it
}

// Wearings lists them.
var Wearings = []Wearing{
	{"bearings", "Wheel bearings", 12, 15_000e3, "Grease, feel for play; at once after the hubs were under water.", ""},
	{"tyres", "Tyres", 72, 0, "Out at six to seven years by the date code, ten at most; before that at the wear mark, a cut or a bulge.", ""},
	{"nuts", "Wheel nuts", 12, 5_000e3, "Tighten by the plate; again 50 km after a wheel was off.", ""},
	{"brakes", "Brakes", 12, 5_000e3, "Adjust, look at linings, rods and cables.", "brakes"},
	{"coupling", "Coupling", 12, 0, "Clean, grease, look at its wear mark; the head locks with a pull upward.", ""},
	{"springs", "Springs, shackles, slippers", 12, 10_000e3, "Look for cracks and worn bolts; grease what rubs.", "leaf"},
	{"straps", "Straps", 12, 0, "Out at the first cut, burn or stiff fading.", ""},
	{"deck", "Deck oil", 12, 0, "Wash, let it dry, oil its edges first.", "deck"},
	{"winch", "Winch strap and hinge pins", 12, 0, "Look for sun and cuts, wear and clips.", "tip"},
	{"lamps", "Lamps, plug, earths", 12, 0, "Grease the contacts, look at each lamp.", "lamps"},
}
