package norms

// Tread is how a shoe grips on a deck in the wet.
type Tread struct {
	ID   string  `json:"id"`
	Name string  `json:"name"`
	Low  float64 `json:"low"` // friction
	High float64 `json:"high"`
}

// Treads are the surfaces of decks (practice, C): rubber soles, wet, no mud.
var Treads = []Tread{
	{"film-ply", "smooth film-faced plywood", 0.15, 0.30},
	{"wire-ply", "plywood with a wire-mesh face", 0.40, 0.60},
	{"raw-ply", "bare plywood", 0.30, 0.45},
	{"planed", "planed boards", 0.25, 0.40},
	{"sawn", "sawn boards", 0.40, 0.55},
	{"paint", "smooth painted steel or wood", 0.15, 0.30},
	{"sand", "paint with sand in it", 0.50, 0.70},
	{"checker", "checker plate", 0.30, 0.45},
	{"mesh", "galvanised mesh", 0.60, 0.80},
	{"mat", "rubber mat or grip strips", 0.45, 0.65},
	{"plastic", "bare plastic sheet", 0.10, 0.25},
}

// TreadWanted is the friction in the wet from which walkways are seldom slipped on: a pendulum reading of 36 and
// more (practice of slip tests after EN 16165, annex C; B).
const TreadWanted = 0.36

// TreadOf finds one.
func TreadOf(id string) (Tread, bool) {
	for _, s := range Treads {
		if s.ID == id {
			return s, true
		}
	}
	return Tread{}, false
}
