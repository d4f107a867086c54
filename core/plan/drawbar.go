package plan

// Drawbar is what a trailer's drawbar is made of, and how it is to be lengthened.
type Drawbar struct {
	Profile Profile `json:"profile"`
	Beams   int     `json:"beams,omitempty" is:"number of beams, 0..2"` // 1, or 2 for an A-frame; 0 is 1
	Longer  length  `json:"longer,omitempty" is:"longer part, 0..5"`    // by so much
	Way     Join    `json:"way,omitempty" is:"way to join"`
	Overlap length  `json:"overlap,omitempty" is:"overlap, 0..5"`         // of a sleeve
	Bolts   int     `json:"bolts,omitempty" is:"number of bolts, 0..20"`  // through the sleeve
	Bolt    length  `json:"bolt,omitempty" is:"bolt's diameter, 0..0.05"` // diameter
	Grade   string  `json:"grade,omitempty" is:"grade of bolt, key bolts"`
}

// Join is how a longer drawbar is joined on.
type Join string

// The ways to join.
const (
	JoinSleeve Join = "sleeve" // a section inside, bolted
	JoinWeld   Join = "weld"
)

// Joins lists the ways to join.
var Joins = []Join{JoinSleeve, JoinWeld}
