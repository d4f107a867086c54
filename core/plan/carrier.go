package plan

// BoughtCarrier is what the labels of a bought carrier say: saddles, cross bars, a rail rack. Its places
// are the part's slots; how they lie on bars is stated here, behind the part's front face.
type BoughtCarrier struct {
	// for one place, with all that lies on it
	Place *mass `json:"place,omitempty" is:"limit of one place"`
	// for one cross bar
	Bar *mass `json:"bar,omitempty" is:"limit of one cross bar"`
	// for one clamp or foot of a bar
	Clamp *mass `json:"clamp,omitempty" is:"limit of one clamp"`
	// for all of it together
	Whole *mass `json:"whole,omitempty" is:"limit of the carrier"`
	// what its figures count
	Counts CarrierCounts `json:"counts,omitempty" is:"what the carrier's figures count"`

	// of the front cross bar, and of the rear one
	FrontAt *length `json:"frontAt,omitempty" is:"front bar's place, 0..10"`
	RearAt  *length `json:"rearAt,omitempty" is:"rear bar's place, 0..10"`
	// between the outer clamps of a bar
	Apart *length `json:"apart,omitempty" is:"distance between the clamps, >0..3"`

	// what lies along the bars and holds the hulls, of own make
	Rail *Profile `json:"rail,omitempty"`
	// of each rail; they begin at the part's front face
	RailLength *length `json:"railLength,omitempty" is:"length of the rails, >0..8"`
	// how many share a hull; 0 is two
	Rails int `json:"rails,omitempty" is:"number of rails, 0..4"`
}

// CarrierCounts says for what a carrier's figures are printed.
type CarrierCounts string

// What a carrier's figures may count.
const (
	CarrierStatic CarrierCounts = "static" // standing
	CarrierMoving CarrierCounts = "moving" // driven on made roads
)

// CarrierCountings lists them.
var CarrierCountings = []CarrierCounts{CarrierStatic, CarrierMoving}
