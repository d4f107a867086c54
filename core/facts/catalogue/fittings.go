package catalogue

// Fitting is a thing that is fitted to a trailer: its typical mass, size, and
// what it usually costs in hours. Sheets for the floor weigh by area.
type Fitting struct {
	ID      string  `json:"id"`
	Name    string  `json:"name"`
	Low     mass    `json:"low"`
	High    mass    `json:"high"`
	PerArea bool    `json:"perArea,omitempty"` // kg per m² of deck
	Length  length  `json:"length"`
	Width   length  `json:"width"`
	Height  length  `json:"height"`
	Where   string  `json:"where"` // deck, drawbar, tail: where it usually goes
	Hours   float64 `json:"hours"`
	Open    bool    `json:"open,omitempty"` // a frame that others stand in and under
}

// Fittings lists what is fitted to trailers; typical figures, confidence C. Words in braces are the region's.
var Fittings = []Fitting{
	{ID: "floor-ply", Name: "plywood floor, 12 to 18 mm (1/2 to 3/4 in)", Low: 7, High: 12, PerArea: true, Height: 0.02, Where: "deck", Hours: 3, Open: true},
	{ID: "floor-boards", Name: "boarded floor", Low: 10, High: 16, PerArea: true, Height: 0.03, Where: "deck", Hours: 4, Open: true},
	{ID: "floor-plate", Name: "steel floor, 2 to 3 mm (14 to 11 gauge)", Low: 16, High: 24, PerArea: true, Height: 0.005, Where: "deck", Hours: 4, Open: true},
	{ID: "floor-mesh", Name: "expanded metal floor", Low: 6, High: 14, PerArea: true, Height: 0.005, Where: "deck", Hours: 3, Open: true},
	{ID: "sides", Name: "side boards, four", Low: 20, High: 60, Length: 2.4, Width: 1.25, Height: 0.35, Where: "deck", Hours: 5, Open: true},
	{
		ID: "side-board", Name: "one side board, on pins", Low: 5, High: 20,
		Length: 2.4, Width: 0.03, Height: 0.35, Where: "deck", Hours: 1,
	},
	{
		ID: "drawbar-slide", Name: "{drawbar} that slides out", Low: 8, High: 30,
		Length: 1.2, Width: 0.06, Height: 0.08, Where: "drawbar", Hours: 3,
	},
	{ID: "spare", Name: "spare wheel", Low: 10, High: 22, Length: 0.55, Width: 0.55, Height: 0.2, Where: "drawbar", Hours: 0.5},
	{ID: "jockey", Name: "{jockey wheel} or jack", Low: 5, High: 12, Length: 0.2, Width: 0.2, Height: 0.6, Where: "drawbar", Hours: 0.5},
	{ID: "toolbox", Name: "toolbox, filled", Low: 15, High: 50, Length: 0.5, Width: 0.9, Height: 0.4, Where: "drawbar", Hours: 1.5},
	{ID: "ramps", Name: "pair of ramps", Low: 12, High: 40, Length: 1.8, Width: 0.6, Height: 0.12, Where: "deck", Hours: 1},
	{ID: "ramp-gate", Name: "ramp gate, upright at the tail", Low: 35, High: 90, Length: 0.1, Width: 1.2, Height: 1.2, Where: "tail", Hours: 4},
	{ID: "tailgate", Name: "tailgate, hinged below", Low: 10, High: 35, Length: 0.05, Width: 1.25, Height: 0.4, Where: "tail", Hours: 2},
	{ID: "deck-fold", Name: "folding half of the deck", Low: 30, High: 80, Length: 1.2, Width: 1.2, Height: 0.1, Where: "deck", Hours: 3, Open: true},
	{ID: "reel", Name: "hose reel", Low: 8, High: 30, Length: 0.5, Width: 0.5, Height: 0.5, Where: "drawbar", Hours: 1},
	{ID: "rack", Name: "boat or board rack", Low: 20, High: 60, Length: 1.6, Width: 1.3, Height: 1.1, Where: "deck", Hours: 10, Open: true},
	{ID: "mudguards", Name: "pair of {mudguard}s", Low: 3, High: 10, Length: 0.9, Width: 1.7, Height: 0.35, Where: "deck", Hours: 1.5, Open: true},
	{ID: "winch", Name: "winch on its post", Low: 8, High: 25, Length: 0.3, Width: 0.3, Height: 0.5, Where: "drawbar", Hours: 1},
}

// FittingOf finds a fitting.
func FittingOf(id string) (Fitting, bool) {
	for _, f := range Fittings {
		if f.ID == id {
			return f, true
		}
	}
	return Fitting{}, false
}

// AnchorKind is a kind of tie-down point, with where it gives way first.
type AnchorKind struct {
	ID     string `json:"id"`
	Name   string `json:"name"`
	Weak   string `json:"weak"`
	Counts bool   `json:"counts"` // as an anchor at all
}

// AnchorKinds lists the kinds of tie-down point.
var AnchorKinds = []AnchorKind{
	{"ring-welded", "welded ring", "the weld's ends", true},
	{"ring-bolted", "ring bolted through a cross-member", "the bolts", true},
	{"ring-ply", "ring through plywood with a washer", "the plywood round the washer", true},
	{"eye-bolt", "eye bolt", "the shank, when pulled sideways", true},
	{"track", "slotted track", "the screws of the track", true},
	{"receiver", "receiver tube or hitch eye", "the pin", true},
	{"chain", "chain link or safety-chain eye", "the open link or the tab it hangs on", true},
	{"rail", "rope rail or hook", "bends outward", true},
	{"pocket", "stake pocket", "sheet metal: made for stakes, not for straps", false},
}

// MustBuys are what a trailer commonly still needs before it is on the road.
var MustBuys = []string{"floor", "paint", "{jockey wheel}", "spare wheel", "straps", "lights", "wiring plug", "{number plate}", "racks", "{mudguard}s", "wheel lock"}

// Inspection is a point to look at on a used trailer.
type Inspection struct {
	ID     string `json:"id"`
	Look   string `json:"look"`   // where and how
	Bad    string `json:"bad"`    // what speaks against buying
	Repair string `json:"repair"` // and what mends it where it can be mended
}

// Inspections lists what to look at before a used trailer is bought. Words in braces are the region's.
var Inspections = []Inspection{
	{"identity", "Identity plate and frame number against the papers.", "They differ, or the number is ground off.", "none"},
	{"drawbar-root", "Frame where the {drawbar} joins it: rust, cracks, bends; knock it.", "A crack, or rust that flakes in layers.", "weld by a professional"},
	{"hangers", "Spring hangers and axle mounts: cracks, elongated holes.", "A crack in the frame at a hanger.", "new hangers"},
	{"coupling", "{Coupling}: wear mark, latch springs back, size stamped.", "Lifts off the ball when the latch is closed.", "new {coupling}"},
	{"bearings", "Jack up a wheel on firm ground, rock and spin it: play, grinding.", "The wheel wobbles or the hub is blue from heat.", "bearing kit"},
	{"tyres", "{Tyre} age code (week and year), cracks, pressure, same size.", "Older than six years or cracked to the cord.", "new {tyre}s"},
	{"floor", "Floor: probe with a screwdriver at edges and bolts.", "Soft right through to the cross-members.", "new floor"},
	{"wiring", "All lamps, earth to the frame, plug's pins.", "Burnt insulation.", "new wiring"},
	{"brakes", "Brakes, where fitted: overrun moves freely, handbrake holds.", "Seized shaft or drums.", "brake overhaul"},
}

// AnchorOf finds a kind of tie-down point.
func AnchorOf(id string) (AnchorKind, bool) {
	for _, a := range AnchorKinds {
		if a.ID == id {
			return a, true
		}
	}
	return AnchorKind{}, false
}
