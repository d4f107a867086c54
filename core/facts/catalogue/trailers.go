package catalogue

// TrailerKind is a kind of trailer: the range of its empty mass, of the share of it that presses
// on the ball, and its usual lengths. All are typical figures of confidence C, from makers'
// sheets of a dozen or so of each kind, rounded outward; each gives way to what is taped. What a
// trailer bears is never taken from its kind.
type TrailerKind struct {
	ID      string  `json:"id"`
	Name    string  `json:"name"`
	Low     mass    `json:"low"`
	High    mass    `json:"high"`
	BallLow float64 `json:"ballLow"` // share of the empty mass
	BallTop float64 `json:"ballTop"`

	Deck   Usual `json:"deck"`   // length; of a boat trailer from the winch post to its tail
	Width  Usual `json:"width"`  // of the deck
	Front  Usual `json:"front"`  // of the deck, behind the ball
	Height Usual `json:"height"` // of the deck over the ground

	AxleLow float64 `json:"axleLow"` // the axle behind the deck's front, share of its length …
	AxleTop float64 `json:"axleTop"` // … from and to
	Axles   int     `json:"axles"`   // how many it has
}

// Usual is a length that most of a kind have, m, and the range of nearly all.
type Usual struct {
	Low  length `json:"low"`
	Mid  length `json:"mid"`
	High length `json:"high"`
}

// PlusMinus is the doubt that takes in the whole range.
func (u Usual) PlusMinus() length { return max(u.High-u.Mid, u.Mid-u.Low) }

// Trailers lists the kinds of trailer.
var Trailers = []TrailerKind{
	{"box-small", "small box trailer, deck to 2.1 m (7 ft)", 110, 240, 0.05, 0.16,
		Usual{1.4, 1.8, 2.1}, Usual{0.95, 1.15, 1.3}, Usual{0.8, 1.05, 1.3}, Usual{0.42, 0.5, 0.62}, 0.48, 0.62, 1},
	{"kit", "bolt-together or folding kit with flat deck, 1.2 × 2.4 m (4 × 8 ft)", 90, 200, 0.05, 0.18,
		Usual{2.35, 2.44, 2.5}, Usual{1.15, 1.22, 1.27}, Usual{0.9, 1.1, 1.35}, Usual{0.45, 0.55, 0.65}, 0.5, 0.65, 1},
	{"utility", "utility trailer, one axle, deck 2.1 to 3.2 m (7 to 10 ft)", 180, 420, 0.05, 0.16,
		Usual{2.1, 2.5, 3.2}, Usual{1.2, 1.35, 1.7}, Usual{0.95, 1.2, 1.5}, Usual{0.45, 0.55, 0.7}, 0.5, 0.62, 1},
	{"utility-large", "utility trailer, one axle, deck over 3.2 m (10 ft)", 320, 650, 0.05, 0.15,
		Usual{3.2, 3.6, 4.3}, Usual{1.4, 1.8, 2.1}, Usual{1.1, 1.4, 1.7}, Usual{0.45, 0.6, 0.75}, 0.5, 0.62, 1},
	{"flatbed", "flat deck over the wheels, no sides", 250, 700, 0.05, 0.15,
		Usual{2.4, 3.2, 4.3}, Usual{1.5, 1.9, 2.2}, Usual{1.1, 1.4, 1.8}, Usual{0.55, 0.68, 0.85}, 0.5, 0.62, 1},
	{"box-closed", "closed box trailer, one axle", 280, 750, 0.05, 0.15,
		Usual{2.0, 2.5, 3.7}, Usual{1.2, 1.5, 1.9}, Usual{1.0, 1.25, 1.5}, Usual{0.4, 0.52, 0.65}, 0.5, 0.62, 1},
	{"tandem", "tandem utility trailer, two axles", 450, 1000, 0.05, 0.14,
		Usual{2.4, 3.6, 5.0}, Usual{1.4, 1.85, 2.15}, Usual{1.1, 1.45, 1.8}, Usual{0.45, 0.6, 0.75}, 0.5, 0.65, 2},
	{"machine", "machine trailer with ramps, low bed", 400, 950, 0.05, 0.14,
		Usual{2.4, 3.0, 4.3}, Usual{1.25, 1.55, 1.9}, Usual{1.1, 1.4, 1.8}, Usual{0.35, 0.48, 0.62}, 0.5, 0.65, 1},
	{"boat", "boat trailer, one axle", 100, 450, 0.06, 0.20,
		Usual{2.8, 3.6, 4.6}, Usual{0.9, 1.3, 1.7}, Usual{0.7, 1.1, 1.7}, Usual{0.4, 0.5, 0.62}, 0.55, 0.78, 1},
	{"camper-frame", "former caravan or camper frame", 250, 600, 0.06, 0.16,
		Usual{2.6, 3.5, 4.6}, Usual{1.6, 1.9, 2.2}, Usual{0.9, 1.25, 1.6}, Usual{0.4, 0.5, 0.65}, 0.48, 0.6, 1},
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
