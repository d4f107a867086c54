// Package catalogue holds typical generic things with their ranges. They are
// starting points of provenance "typical", our own compilation from common
// practice, to be replaced by the owner's own figures.
package catalogue

import "zygonos/core/quantity"

type mass = quantity.Mass
type length = quantity.Length

// TrailerKind is a kind of trailer: the range of its empty mass and of the share
// of it that presses on the ball.
type TrailerKind struct {
	ID      string  `json:"id"`
	Name    string  `json:"name"`
	Low     mass    `json:"low"`
	High    mass    `json:"high"`
	BallLow float64 `json:"ballLow"` // share of the empty mass
	BallTop float64 `json:"ballTop"`
}

// Trailers lists the kinds of trailer.
var Trailers = []TrailerKind{
	{"box-small", "small box trailer, deck to 2.1 m (7 ft)", 110, 240, 0.05, 0.16},
	{"kit", "bolt-together kit with flat deck", 90, 200, 0.05, 0.18},
	{"utility", "utility trailer, one axle, deck 2.1 to 3.2 m", 180, 420, 0.05, 0.16},
	{"utility-large", "utility trailer, one axle, deck over 3.2 m", 320, 650, 0.05, 0.15},
	{"tandem", "tandem utility trailer", 450, 1000, 0.05, 0.14},
	{"boat", "boat trailer, one axle", 100, 450, 0.06, 0.20},
	{"camper-frame", "former caravan or camper frame", 250, 600, 0.06, 0.16},
}

// TrailerOf finds a kind of trailer.
func TrailerOf(id string) (TrailerKind, bool) {
	for _, t := range Trailers {
		if t.ID == id {
			return t, true
		}
	}
	return TrailerKind{}, false
}

// TrailerFor is the kind by id or, where none is named, the usual kind for a
// deck of that length, m.
func TrailerFor(id string, deck length) (TrailerKind, bool) {
	if id == "" && deck > 0 {
		switch {
		case deck <= 2.1:
			id = "box-small"
		case deck <= 3.2:
			id = "utility"
		default:
			id = "utility-large"
		}
	}
	return TrailerOf(id)
}

// LoadKind is a kind of load: the range of its mass and a usual size.
type LoadKind struct {
	ID     string `json:"id"`
	Name   string `json:"name"`
	Low    mass   `json:"low"`
	High   mass   `json:"high"`
	Length length `json:"length"`
	Width  length `json:"width"`
	Height length `json:"height"`
	Shape  string `json:"shape"` // box, hull, wheels, heap: how it is drawn
}

// Loads lists the kinds of load.
var Loads = []LoadKind{
	{"box", "box or crate", 2, 800, 0.8, 0.6, 0.6, "box"},
	{"heap", "loose material in a box", 50, 2500, 1.2, 1.2, 0.4, "heap"},
	{"canoe", "open canoe", 20, 45, 4.9, 0.9, 0.4, "hull"},
	{"kayak", "kayak", 15, 40, 3.8, 0.7, 0.35, "hull"},
	{"skiff", "rowing skiff or dinghy", 30, 130, 3.6, 1.4, 0.55, "hull"},
	{"motorboat", "small motor boat", 120, 600, 4.3, 1.8, 1.0, "hull"},
	{"utv", "side-by-side, two seats", 300, 800, 2.7, 1.45, 1.85, "wheels"},
	{"quad", "quad", 180, 420, 2.0, 1.15, 1.2, "wheels"},
	{"ride-on", "ride-on mower", 150, 350, 1.8, 1.1, 1.1, "wheels"},
	{"motorcycle", "motorcycle", 90, 300, 2.1, 0.8, 1.1, "wheels"},
	{"hive", "beehive, occupied", 25, 70, 0.55, 0.5, 0.7, "box"},
	{"tank", "fluid tank", 10, 1200, 1.0, 0.9, 0.9, "box"},
}

// LoadOf finds a kind of load.
func LoadOf(id string) (LoadKind, bool) {
	for _, l := range Loads {
		if l.ID == id {
			return l, true
		}
	}
	return LoadKind{}, false
}
