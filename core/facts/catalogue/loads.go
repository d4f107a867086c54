package catalogue

// LoadKind is a kind of load: the range of its mass, a usual size, and how it
// stands. Shares are of its length; a pair of zeros is not stated and taken at
// the middle. All are typical figures of confidence C, wide on purpose; From says
// where each kind's come from.
type LoadKind struct {
	ID     string `json:"id"`
	Name   string `json:"name"`
	Group  string `json:"group"`
	Low    mass   `json:"low"`
	High   mass   `json:"high"`
	Length length `json:"length"`
	Width  length `json:"width"`
	Height length `json:"height"`
	Shape  string `json:"shape"`            // box, hull, wheels, heap: how it is drawn
	Words  string `json:"words,omitempty"`  // everyday words that it goes by, of all regions
	From   string `json:"from"`             // where its figures come from
	Note   string `json:"note,omitempty"`   // a caution of its own
	Pack   bool   `json:"pack,omitempty"`   // several of it are one load: bags, boards, sheets
	Rises  string `json:"rises,omitempty"`  // what hangs lowest under it and can be set higher
	Walked bool   `json:"walked,omitempty"` // its driver walks with it

	CentreLow  float64  `json:"centreLow,omitempty"`  // behind the front, share of the length …
	CentreHigh float64  `json:"centreHigh,omitempty"` // … from and to
	CentreUp   float64  `json:"centreUp,omitempty"`   // above its underside, share of the height; 0: 45 %
	Rolls      *Rolls   `json:"rolls,omitempty"`
	Bears      *Bearing `json:"bears,omitempty"`
}

// Rolls is how a machine stands on its wheels, m.
type Rolls struct {
	FrontAxle length `json:"frontAxle"` // behind its front
	Wheelbase length `json:"wheelbase"`
	Track     length `json:"track"`
	Clearance length `json:"clearance"`
	Wheel     length `json:"wheel"` // diameter

	FrontTrack length `json:"frontTrack,omitempty"` // where the front wheels are others: casters
	FrontWheel length `json:"frontWheel,omitempty"`
}

// Bearing is where a hull is firm enough to be held: shares of its length from
// the bow, and the distance across between the lines that bear, m; zero is
// the keel alone.
type Bearing struct {
	From  float64 `json:"from"`
	To    float64 `json:"to"`
	Apart length  `json:"apart"`
}

// Groups of load kinds, in the order in which they are offered.
var Groups = []string{"loose material", "paddle and row", "sail and motor", "machines", "building", "farm and garden", "house and other"}

func hull(id, name, group string, low, high mass, l, w, h length, centreLow, centreHigh float64, b Bearing) LoadKind {
	return LoadKind{ID: id, Name: name, Group: group, Low: low, High: high, Length: l, Width: w, Height: h, Shape: "hull", CentreLow: centreLow, CentreHigh: centreHigh, Bears: &b}
}

func wheels(id, name string, low, high mass, l, w, h length, centreLow, centreHigh, up float64, r Rolls) LoadKind {
	return LoadKind{ID: id, Name: name, Group: "machines", Low: low, High: high, Length: l, Width: w, Height: h, Shape: "wheels", CentreLow: centreLow, CentreHigh: centreHigh, CentreUp: up, Rolls: &r}
}

func box(id, name, group string, low, high mass, l, w, h length) LoadKind {
	return LoadKind{ID: id, Name: name, Group: group, Low: low, High: high, Length: l, Width: w, Height: h, Shape: "box"}
}

// Loads lists the kinds of load.
var Loads = called([]LoadKind{
	{ID: "heap", Name: "loose material", Group: "loose material", Low: 50, High: 2500, Length: 1.2, Width: 1.2, Height: 0.4, Shape: "heap"},
	box("bulk-bag", "bulk bag, filled", "loose material", 400, 1100, 0.9, 0.9, 0.9),
	box("pallet", "pallet of goods", "loose material", 100, 1200, 1.2, 1.0, 1.2),

	hull("kayak", "kayak, touring", "paddle and row", 20, 32, 4.5, 0.6, 0.35, 0, 0, Bearing{0.2, 0.8, 0.3}),
	hull("kayak-sea", "kayak, sea", "paddle and row", 22, 32, 5.2, 0.56, 0.35, 0, 0, Bearing{0.2, 0.8, 0.25}),
	hull("kayak-river", "kayak, white water", "paddle and row", 15, 24, 2.7, 0.68, 0.4, 0, 0, Bearing{0.2, 0.8, 0.35}),
	hull("kayak-double", "kayak, two seats", "paddle and row", 28, 45, 5.2, 0.75, 0.4, 0, 0, Bearing{0.2, 0.8, 0.35}),
	hull("kayak-inflatable", "kayak, inflatable", "paddle and row", 9, 20, 3.3, 0.95, 0.4, 0, 0, Bearing{0.15, 0.85, 0.5}),
	hull("sit-on-top", "sit-on-top, family", "paddle and row", 20, 38, 3.6, 0.8, 0.4, 0, 0, Bearing{0.15, 0.85, 0.4}),
	hull("sit-on-top-fishing", "sit-on-top, fishing", "paddle and row", 30, 60, 3.9, 0.9, 0.45, 0.48, 0.55, Bearing{0.15, 0.85, 0.45}),
	hull("sit-on-top-pedal", "sit-on-top with pedal drive", "paddle and row", 40, 75, 4.0, 0.92, 0.5, 0.48, 0.56, Bearing{0.15, 0.85, 0.45}),
	hull("canoe", "open canoe", "paddle and row", 20, 45, 4.9, 0.9, 0.4, 0, 0, Bearing{0.15, 0.85, 0.5}),
	hull("paddle-board", "paddle board, hard", "paddle and row", 9, 18, 3.3, 0.8, 0.18, 0, 0, Bearing{0.1, 0.9, 0.5}),
	hull("paddle-board-inflatable", "paddle board, blown up", "paddle and row", 7, 15, 3.3, 0.82, 0.15, 0, 0, Bearing{0.1, 0.9, 0.5}),
	hull("sail-board", "board with sail and mast", "paddle and row", 14, 35, 2.7, 0.75, 0.35, 0, 0, Bearing{0.1, 0.9, 0.4}),
	hull("surf-board", "surf board", "paddle and row", 3, 8, 2.4, 0.57, 0.1, 0, 0, Bearing{0.1, 0.9, 0.3}),
	hull("skiff", "rowing skiff", "paddle and row", 45, 130, 3.9, 1.4, 0.55, 0.48, 0.56, Bearing{0.15, 0.9, 0.5}),
	hull("shell", "racing shell or scull", "paddle and row", 13, 32, 8.5, 0.4, 0.3, 0, 0, Bearing{0.25, 0.75, 0}),

	hull("dinghy", "sailing dinghy", "sail and motor", 50, 160, 4.2, 1.6, 0.6, 0.48, 0.56, Bearing{0.2, 0.95, 0.5}),
	hull("dinghy-small", "sailing dinghy for one", "sail and motor", 40, 95, 3.6, 1.4, 0.5, 0.48, 0.56, Bearing{0.2, 0.95, 0.5}),
	hull("catamaran", "beach catamaran, mast down", "sail and motor", 90, 210, 5.0, 2.4, 0.9, 0.46, 0.56, Bearing{0.15, 0.95, 2.0}),
	hull("inflatable", "inflatable with hard floor", "sail and motor", 40, 130, 3.3, 1.6, 0.6, 0.5, 0.6, Bearing{0.2, 0.95, 0.6}),
	hull("tender", "small inflatable boat, soft floor", "sail and motor", 18, 50, 2.6, 1.4, 0.5, 0.5, 0.6, Bearing{0.15, 0.95, 0.6}),
	hull("motorboat", "small motor boat with motor", "sail and motor", 150, 700, 4.3, 1.8, 1.1, 0.55, 0.70, Bearing{0.2, 0.98, 0.8}),
	hull("jon-boat", "flat-bottomed boat", "sail and motor", 60, 300, 4.0, 1.5, 0.55, 0.5, 0.65, Bearing{0.15, 0.98, 0.8}),
	hull("watercraft", "personal watercraft", "sail and motor", 180, 420, 3.2, 1.2, 1.1, 0.5, 0.6, Bearing{0.2, 0.95, 0.5}),
	hull("watercraft-small", "personal watercraft, light", "sail and motor", 130, 210, 2.7, 1.15, 1.0, 0.5, 0.6, Bearing{0.2, 0.95, 0.5}),
	hull("boat-other", "something that lies like a boat", "sail and motor", 15, 400, 4.0, 1.3, 0.6, 0.42, 0.62, Bearing{0.2, 0.9, 0.4}),
	box("outboard", "outboard motor", "sail and motor", 15, 130, 1.4, 0.45, 0.6),

	wheels("quad", "quad", 180, 420, 2.05, 1.15, 1.2, 0.45, 0.53, 0.42, Rolls{0.35, 1.28, 0.92, 0.26, 0.6, 0, 0}),
	wheels("quad-child", "quad, child's", 70, 140, 1.55, 0.9, 0.95, 0.45, 0.55, 0.42, Rolls{0.28, 0.98, 0.7, 0.13, 0.42, 0, 0}),
	wheels("utv", "side-by-side, two seats", 380, 800, 2.8, 1.5, 1.85, 0.48, 0.58, 0.36, Rolls{0.45, 1.95, 1.2, 0.28, 0.66, 0, 0}),
	wheels("utv-four", "side-by-side, four seats", 550, 1000, 3.7, 1.6, 1.9, 0.48, 0.56, 0.36, Rolls{0.5, 2.7, 1.3, 0.3, 0.68, 0, 0}),
	wheels("ride-on", "ride-on mower", 150, 300, 1.8, 1.1, 1.1, 0.5, 0.6, 0.4, Rolls{0.35, 1.25, 0.75, 0.08, 0.45, 0, 0}),
	wheels("zero-turn", "zero-turn mower", 220, 620, 1.95, 1.35, 1.2, 0.55, 0.68, 0.38, Rolls{0.3, 1.25, 0.95, 0.08, 0.48, 0.78, 0.28}),
	wheels("mower-walk", "walk-behind mower", 22, 60, 1.5, 0.55, 1.0, 0.2, 0.38, 0.25, Rolls{0.15, 0.55, 0.42, 0.03, 0.2, 0, 0}),
	wheels("mower-walk-wide", "walk-behind mower, wide deck", 120, 330, 2.0, 1.3, 1.1, 0.4, 0.56, 0.35, Rolls{0.25, 0.95, 0.8, 0.06, 0.4, 0.6, 0.23}),
	wheels("motorcycle", "motorcycle, road", 130, 280, 2.15, 0.85, 1.15, 0.45, 0.55, 0.45, Rolls{0.33, 1.43, 0, 0.14, 0.62, 0, 0}),
	wheels("motocross", "motorcycle, off-road", 95, 130, 2.15, 0.83, 1.25, 0.45, 0.55, 0.48, Rolls{0.35, 1.48, 0, 0.32, 0.64, 0, 0}),
	wheels("moped", "scooter or moped", 75, 150, 1.85, 0.7, 1.15, 0.5, 0.6, 0.4, Rolls{0.28, 1.3, 0, 0.12, 0.45, 0, 0}),
	wheels("buggy", "buggy or go-kart", 80, 300, 2.0, 1.3, 1.0, 0.5, 0.62, 0.35, Rolls{0.3, 1.35, 1.1, 0.06, 0.4, 0, 0}),
	wheels("mobility-scooter", "mobility scooter", 40, 160, 1.3, 0.64, 1.0, 0.45, 0.65, 0.35, Rolls{0.2, 0.85, 0.5, 0.07, 0.25, 0, 0}),
	wheels("tractor", "compact tractor", 500, 1200, 2.9, 1.3, 2.1, 0.5, 0.62, 0.33, Rolls{0.55, 1.55, 1.0, 0.25, 0.75, 0, 0}),
	wheels("tractor-loader", "compact tractor with loader", 800, 1600, 3.9, 1.4, 2.2, 0.42, 0.55, 0.33, Rolls{1.4, 1.6, 1.05, 0.25, 0.75, 0, 0}),
	wheels("golf-cart", "golf cart", 300, 550, 2.4, 1.2, 1.8, 0.5, 0.6, 0.32, Rolls{0.4, 1.65, 0.9, 0.11, 0.45, 0, 0}),
	wheels("car-small", "small car", 700, 1200, 3.7, 1.65, 1.45, 0.38, 0.48, 0.36, Rolls{0.7, 2.4, 1.4, 0.13, 0.58, 0, 0}),
	wheels("excavator", "micro excavator", 750, 1200, 2.8, 0.95, 2.2, 0.35, 0.55, 0.35, Rolls{0.6, 1.0, 0.7, 0.15, 0.45, 0, 0}),
	wheels("dumper", "mini dumper", 160, 400, 1.8, 0.8, 1.2, 0.4, 0.6, 0.38, Rolls{0.4, 0.9, 0.6, 0.1, 0.35, 0, 0}),
	wheels("machine-other", "something that rolls on wheels", 50, 700, 1.9, 1.0, 1.1, 0.4, 0.6, 0.42, Rolls{0.35, 1.2, 0.8, 0.1, 0.45, 0, 0}),
	box("snow-machine", "snow machine on skis and track", "machines", 170, 330, 3.1, 1.2, 1.3),
	box("splitter", "log splitter", "machines", 45, 320, 1.8, 0.9, 1.2),
	box("chipper", "wood chipper or shredder", "machines", 30, 450, 1.6, 0.8, 1.3),
	box("cultivator", "rotary cultivator", "machines", 30, 140, 1.5, 0.65, 1.0),

	box("sheets", "sheet goods", "building", 5, 900, 2.44, 1.22, 0.1),
	box("timber", "timber pack", "building", 20, 900, 3.6, 0.6, 0.3),
	box("plasterboard", "plasterboard, pack", "building", 50, 900, 2.4, 1.2, 0.15),
	box("bricks", "pack of bricks", "building", 300, 1300, 1.0, 0.7, 0.7),
	box("slabs", "paving slabs on a pallet", "building", 200, 1400, 1.2, 0.8, 0.7),
	box("posts", "posts or poles", "building", 10, 700, 2.4, 0.5, 0.4),
	box("pipes", "pipes or gutters", "building", 5, 400, 3.0, 0.4, 0.25),
	box("ladder", "ladder", "building", 8, 45, 3.6, 0.45, 0.15),
	box("scaffold", "scaffold tower", "building", 70, 350, 2.0, 1.0, 0.6),
	box("doors", "doors or windows", "building", 15, 250, 2.0, 0.9, 0.3),
	box("roofing", "roofing sheets", "building", 15, 500, 3.0, 1.1, 0.12),
	box("fence-panels", "fence panels", "building", 12, 220, 1.83, 1.2, 0.3),
	box("long-other", "something long and thin", "building", 3, 250, 4.0, 0.3, 0.2),
	box("cement", "cement bags on a pallet", "building", 100, 1500, 1.2, 0.8, 0.8),
	box("generator", "generator", "building", 25, 250, 0.8, 0.6, 0.65),
	box("mixer", "concrete mixer", "building", 45, 220, 1.4, 0.8, 1.4),
	box("compactor", "plate compactor", "building", 60, 250, 1.1, 0.5, 0.9),
	box("compressor", "compressor", "building", 20, 180, 1.0, 0.5, 0.85),
	box("welder", "welder", "building", 10, 160, 0.8, 0.5, 0.7),
	box("tools", "tool chest", "building", 10, 220, 0.9, 0.5, 0.5),
	box("gas", "gas bottle", "building", 10, 80, 0.35, 0.35, 1.2),

	box("hive", "beehive, occupied", "farm and garden", 25, 70, 0.55, 0.5, 0.7),
	box("tank", "fluid tank", "farm and garden", 10, 70, 1.0, 0.9, 0.9),
	box("straw", "round or square bale", "farm and garden", 15, 450, 1.2, 1.2, 1.2),
	box("feed", "sacks of feed", "farm and garden", 20, 1000, 1.0, 0.8, 0.5),
	box("bags", "bags of sand, soil or salt", "farm and garden", 15, 1000, 1.0, 0.8, 0.5),
	box("garden-bags", "bags of garden waste", "farm and garden", 10, 300, 1.2, 1.0, 0.8),
	box("firewood", "firewood, in a crate or nets", "farm and garden", 50, 750, 1.2, 1.0, 1.0),
	box("plants", "potted plants or trees", "farm and garden", 10, 350, 1.2, 0.8, 1.5),
	box("shed", "garden shed, in panels", "farm and garden", 70, 450, 2.4, 1.8, 0.5),
	box("barrow", "wheelbarrow", "farm and garden", 10, 30, 1.5, 0.65, 0.65),
	box("livestock", "animal in a crate", "farm and garden", 30, 450, 1.6, 0.8, 1.1),

	box("box", "box or crate", "house and other", 2, 800, 0.8, 0.6, 0.6),
	box("furniture", "furniture", "house and other", 10, 150, 1.8, 0.8, 0.9),
	box("appliance", "washing machine or cooker", "house and other", 40, 100, 0.6, 0.6, 0.85),
	box("fridge", "fridge or freezer", "house and other", 35, 130, 0.7, 0.7, 1.8),
	box("sofa", "sofa", "house and other", 30, 120, 2.1, 0.95, 0.85),
	box("wardrobe", "wardrobe or cupboard", "house and other", 30, 160, 1.2, 0.6, 1.9),
	box("bed", "bed and mattress", "house and other", 20, 120, 2.0, 1.5, 0.4),
	box("table", "table and chairs", "house and other", 15, 130, 1.8, 0.9, 0.8),
	box("boxes", "moving boxes", "house and other", 20, 500, 1.2, 1.0, 1.0),
	box("rubbish", "bags of rubbish", "house and other", 10, 300, 1.2, 1.0, 0.8),
	box("camping", "tents and camping gear", "house and other", 15, 250, 1.2, 0.9, 0.7),
	box("hot-tub", "hot tub, empty", "house and other", 150, 450, 2.0, 2.0, 0.9),
	box("oven", "oven or smoker", "house and other", 40, 700, 1.4, 0.8, 1.4),
	box("piano", "upright piano", "house and other", 180, 300, 1.5, 0.65, 1.25),
	box("bicycles", "bicycles", "house and other", 10, 120, 1.8, 0.8, 1.1),
})

// LoadOf finds a kind of load.
func LoadOf(id string) (LoadKind, bool) {
	for i := range Loads {
		if Loads[i].ID == id {
			return Loads[i], true
		}
	}
	return LoadKind{}, false
}
