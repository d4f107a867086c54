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
	{"kit", "bolt-together or folding kit with flat deck", 90, 200, 0.05, 0.18},
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
