package plan

// Drawbar is what a trailer's drawbar is made of, and how it is to be lengthened.
type Drawbar struct {
	Profile Profile `json:"profile"`
	Beams   int     `json:"beams,omitempty"`  // 1, or 2 for an A-frame; 0 is 1
	Longer  length  `json:"longer,omitempty"` // by so much
	Way     Join    `json:"way,omitempty"`
	Overlap length  `json:"overlap,omitempty"` // of a sleeve
	Bolts   int     `json:"bolts,omitempty"`   // through the sleeve
	Bolt    length  `json:"bolt,omitempty"`    // diameter
	Grade   string  `json:"grade,omitempty"`   // key into norms.Bolts
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

func (c *cleaner) drawbar(path string, d *Drawbar) {
	c.profile(path+"/profile", &d.Profile)
	c.grade(path+"/grade", &d.Grade)
	c.bound(path+"/longer", "longer part", &d.Longer, 0, 5)
	c.bound(path+"/overlap", "overlap", &d.Overlap, 0, 5)
	c.bound(path+"/bolt", "bolt's diameter", &d.Bolt, 0, 0.05)
	one(c, path+"/way", "way to join", &d.Way, Joins)
	if d.Beams < 0 || d.Beams > 2 {
		c.say(path+"/beams", "A drawbar has one beam or two.")
		d.Beams = 1
	}
	if d.Bolts < 0 || d.Bolts > 20 {
		c.say(path+"/bolts", "The number of bolts must lie between 0 and 20.")
		d.Bolts = 0
	}
}
