package norms

// Wearing is a thing with a clock: months, metres on the road, or both, whichever comes first (practice, C; the leaflet first).
type Wearing struct {
	ID     string
	Name   string
	Months int     // 0: none
	Far    float64 // m; 0: none
	Tips   int     // of the bed, pulls of the winch
	Dips   int     // of the hubs in water
	Loads  int     // laden drives
	Does   string  // what is done
	Needs  string  // "", "brakes", "leaf", "tip", "winch", "battery", "deck", "lamps": what a trailer must have for it
}

// TreadID is the thing whose record reads a depth.
const TreadID = "tread"

// What is left of a tyre's tread, m: the least that the law wants of main grooves (Directive 89/459/EEC, 1.6
// mm; 49 CFR 393.75(c), 2/32 in; local rules may want more), and from where a new one is to be looked for
// (practice, C).
const (
	LeastTread = 0.0016
	NearTread  = 0.003
)

// Wearings lists them.
var Wearings = []Wearing{
	{"bearings", "Wheel bearings", 12, 15_000e3, 0, 1, 0, "Grease, feel for play; at once if the hubs were under water.", ""},
	{"tyres", "{Tyre}s", 72, 0, 0, 0, 0, "Replace at six to seven years by the date code, ten at most; sooner at the wear mark, a cut or a bulge.", ""},
	{TreadID, "{Tyre} tread", 6, 5_000e3, 0, 0, 0, "Measure the shallowest groove of each and write down the least.", ""},
	{"nuts", "Wheel nuts", 12, 5_000e3, 0, 0, 0, "Tighten by the plate; again [50 km] after a wheel was off.", ""},
	{"brakes", "Brakes", 12, 5_000e3, 0, 3, 0, "Adjust, look at linings, rods and cables.", "brakes"},
	{"coupling", "{Coupling}", 12, 10_000e3, 0, 0, 0, "Clean, grease, look at its wear mark; the head locks with a pull upward.", ""},
	{"springs", "Springs, shackles, slippers", 12, 10_000e3, 0, 6, 0, "Look for cracks and worn bolts; grease what rubs.", "leaf"},
	{"straps", "Straps", 12, 0, 0, 0, 100, "Replace at the first cut, burn or stiff fading.", ""},
	{"deck", "Deck oil", 12, 0, 0, 0, 0, "Wash, let it dry, oil its edges first.", "deck"},
	{"winch", "Winch strap or rope", 12, 0, 150, 0, 0, "Look for sun damage, cuts and broken wires; replace at the first sign.", "winch"},
	{"pins", "Hinge pins, props and latches", 12, 0, 200, 0, 0, "Look for wear, cracks and clips; grease.", "tip"},
	{"battery", "Battery on board", 6, 0, 0, 0, 0, "Charge it and look at its poles; a breakaway must hold the brakes for 15 minutes.", "battery"},
	{"lamps", "Lamps, plug, earths", 12, 0, 0, 3, 0, "Grease the contacts, look at each lamp.", "lamps"},
}

// WearingName is what a thing with a clock is called; its id where it is not known.
func WearingName(id string) string {
	for _, w := range Wearings {
		if w.ID == id {
			return w.Name
		}
	}
	return id
}
