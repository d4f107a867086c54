package plan

// Shift is how a heavy thing without wheels gets on: a stove, a tub, a pallet, a machine on skids.
type Shift struct {
	Load string    `json:"load,omitempty" is:"load, ref loads"`
	With ShiftWith `json:"with,omitempty" is:"way to move it"`
	// of planks or ramps from the ground to the deck
	Planks *length `json:"planks,omitempty" is:"length of the planks, >0..8"`
	// who pushes
	People int `json:"people,omitempty" is:"number of people, 0..12"`
	// the trailer stands unhitched
	Unhitched bool `json:"unhitched,omitempty"`
	// props stand under the tail
	Propped bool `json:"propped,omitempty"`
	// what a hoist or a fork takes
	Takes *mass `json:"takes,omitempty" is:"limit of hoist or forks"`
}

// ShiftWith is a way to move a heavy thing.
type ShiftWith string

// The ways.
const (
	BySliding   ShiftWith = "slide"   // on planks, dry
	BySkids     ShiftWith = "plastic" // on plastic or soap
	ByRollers   ShiftWith = "rollers"
	BySkates    ShiftWith = "skates"
	ByHandTruck ShiftWith = "hand-truck"
	ByJacks     ShiftWith = "jacks" // jacked up, the trailer is driven under
	ByHoist     ShiftWith = "hoist"
	ByForks     ShiftWith = "forks" // from the side
)

// ShiftWiths lists them.
var ShiftWiths = []ShiftWith{BySliding, BySkids, ByRollers, BySkates, ByHandTruck, ByJacks, ByHoist, ByForks}
