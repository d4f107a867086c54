package catalogue

// Hinged is a kind of fitting that hinges, telescopes, folds or hangs.
type Hinged struct {
	Fitting string `json:"fitting"` // key into Fittings
	Opens   string `json:"opens"`   // the way it would go, as plan.Opens
	Danger  bool   `json:"danger"`  // on the road it would hurt others
}

// HingedKinds lists them (practice, C).
var HingedKinds = []Hinged{
	{"ramp-gate", "rear", true},
	{"tailgate", "rear", true},
	{"ramps", "rear", true},
	{"deck-fold", "up", true},
	{"spare", "down", true},
	{"jockey", "down", true},
	{"reel", "up", true},
	{"sides", "side", false},
	{"side-board", "side", true},
	{"drawbar-slide", "pull", true},
}

// HingedOf finds how a fitting opens.
func HingedOf(fitting string) (Hinged, bool) {
	for _, h := range HingedKinds {
		if h.Fitting == fitting {
			return h, true
		}
	}
	return Hinged{}, false
}
