package plan

import (
	"math"

	"zygonos/core/lang/quantity"
)

// Rack is how a part that carries hulls is built: frames alike across the deck,
// each of posts and of one cross bar a tier. The part's mass, size and centre
// follow from it.
type Rack struct {
	FrontAt length          `json:"frontAt"`          // of the front frame, behind the part's front face
	RearAt  length          `json:"rearAt"`           // of the rear frame
	Middle  bool            `json:"middle,omitempty"` // a third frame midway
	Posts   int             `json:"posts,omitempty"`  // of a frame: 1 in the middle, 2 (taken when nought), 3
	Apart   length          `json:"apart"`            // between the outer posts' middles
	Foot    Foot            `json:"foot,omitempty"`
	Held    bool            `json:"held,omitempty"` // bars are kept from moving sideways: angles bend upright
	Post    Profile         `json:"post"`
	Bar     Profile         `json:"bar"`
	Brace   length          `json:"brace,omitempty"` // leg of braces at 45° from each post to its bars, both ways; 0 is none
	Bolts   int             `json:"bolts,omitempty"` // of a bolted foot, half of them to either side
	Bolt    length          `json:"bolt,omitempty"`  // their diameter
	Grade   string          `json:"grade,omitempty"` // key into norms.Bolts
	Gauge   length          `json:"gauge,omitempty"` // between the foot's rows of bolts
	Tiers   map[string]Tier `json:"tiers"`
}

// Tier is one height of cross bars.
type Tier struct {
	Order  int    `json:"order"`
	Up     length `json:"up"`     // top of the bars above the part's underside
	Length length `json:"length"` // of the bars
}

// Foot is how posts stand on the trailer.
type Foot string

// The feet.
const (
	FootPocket Foot = "pocket" // in a stake pocket, held by a pin
	FootBolted Foot = "bolted"
	FootWelded Foot = "welded"
)

// Feet lists the feet.
var Feet = []Foot{FootPocket, FootBolted, FootWelded}

// Profile is a section of stock: shape and sizes as core/sums/section takes them, and
// the material.
type Profile struct {
	Shape    string `json:"shape"`
	Height   length `json:"height"`
	Width    length `json:"width,omitempty"`
	Wall     length `json:"wall,omitempty"`
	Lip      length `json:"lip,omitempty"`
	Material string `json:"material"` // key into catalogue.Stocks

	PerMetre *quantity.Money `json:"perMetre,omitempty"` // its price
}

func (c *cleaner) rack(path string, r *Rack) {
	c.bound(path+"/frontAt", "front frame's place", &r.FrontAt, 0, maxLength)
	c.bound(path+"/rearAt", "rear frame's place", &r.RearAt, 0, maxLength)
	c.bound(path+"/apart", "distance between the posts", &r.Apart, 0, 5)
	if r.Posts < 0 || r.Posts > 3 {
		c.say(path+"/posts", "A frame has 1, 2 or 3 posts.")
		r.Posts = 2
	}
	one(c, path+"/foot", "foot", &r.Foot, Feet)
	c.grade(path+"/grade", &r.Grade)
	c.bound(path+"/brace", "brace", &r.Brace, 0, 1)
	c.bound(path+"/bolt", "bolt's diameter", &r.Bolt, 0, 0.05)
	c.bound(path+"/gauge", "distance between the bolts", &r.Gauge, 0, 1)
	if r.Bolts < 0 || r.Bolts > 20 {
		c.say(path+"/bolts", "The number of bolts must lie between 0 and 20.")
		r.Bolts = 0
	}
	c.profile(path+"/post", &r.Post)
	c.profile(path+"/bar", &r.Bar)
	r.Tiers = entries(c, r.Tiers, path+"/tiers", func(path string, t *Tier) {
		c.bound(path+"/up", "tier's height", &t.Up, 0, 5)
		c.bound(path+"/length", "bar's length", &t.Length, 0, 5)
	})
}

func (c *cleaner) profile(path string, p *Profile) {
	c.profileWords(path, p)
	c.bound(path+"/height", "section's height", &p.Height, 0, 0.5)
	c.bound(path+"/width", "section's width", &p.Width, 0, 0.5)
	c.bound(path+"/wall", "section's wall", &p.Wall, 0, 0.1)
	c.bound(path+"/lip", "section's lip", &p.Lip, 0, 0.1)
	c.money(path+"/perMetre", "price of a metre", &p.PerMetre)
}

// bound puts a length that lies beyond its bounds to nought.
func (c *cleaner) bound(path, what string, v *length, low, high length) {
	p := v
	if number(c, path, what, &p, quantity.KindLength, low, high, false); p == nil {
		*v = 0
	}
}

// Pose is how a hull lies in its place.
type Pose string

// The poses.
const (
	PoseDown Pose = "down" // on its keel
	PoseUp   Pose = "up"   // upside down, on its gunwales
	PoseEdge Pose = "edge" // on its side in a cradle
)

// Poses lists the poses.
var Poses = []Pose{PoseDown, PoseUp, PoseEdge}

// EdgeLean is how far a hull on edge leans over where its place does not say, rad.
const EdgeLean = 75 * math.Pi / 180

// Leans is how far a hull in the place is turned about its length, rad.
func (s *Slot) Leans() float64 {
	switch s.Pose {
	case PoseUp:
		return math.Pi
	case PoseEdge:
		if s.Lean != nil {
			return *s.Lean
		}
		return EdgeLean
	}
	return 0
}

// Cradle is what a boat slides onto from the water: rollers or bunks under its keel,
// a bow stop, a winch on a stand. Places are behind the part's front face.
type Cradle struct {
	Rollers map[string]Roller `json:"rollers,omitempty"`
	Bunks   *Bunks            `json:"bunks,omitempty"`
	Keel    length            `json:"keel"`              // top of rollers or bunks above the part's underside
	BowStop *length           `json:"bowStop,omitempty"` // where the stem stops
	WinchAt *length           `json:"winchAt,omitempty"` // of the drum
	WinchUp *length           `json:"winchUp,omitempty"` // the line where it leaves the drum, above the part's underside
	Transom bool              `json:"transom,omitempty"` // there is a tie for the stern
}

// Roller bears the keel in one place.
type Roller struct {
	Order int    `json:"order"`
	At    length `json:"at"`
}

// Bunks are two alike along the boat, right and left of the keel.
type Bunks struct {
	From  length `json:"from"`
	To    length `json:"to"`
	Apart length `json:"apart"` // between their middles
}

// Slip is where boats go in and come out.
type Slip struct {
	Angle float64 `json:"angle"` // rad
}

func (c *cleaner) slot(path string, s *Slot) {
	c.spot(path+"/at", &s.At)
	one(c, path+"/pose", "pose", &s.Pose, Poses)
	number(c, path+"/lean", "lean", &s.Lean, quantity.KindAngle, 0, math.Pi/2, false)
}

func (c *cleaner) cradle(path string, k *Cradle) {
	if k.Rollers != nil {
		k.Rollers = entries(c, k.Rollers, path+"/rollers", func(path string, r *Roller) { c.bound(path+"/at", "roller's place", &r.At, -2, maxLength) })
	}
	c.bound(path+"/keel", "height of the rollers", &k.Keel, 0, 3)
	number(c, path+"/bowStop", "bow stop's place", &k.BowStop, quantity.KindLength, -3, maxLength, false)
	number(c, path+"/winchAt", "winch's place", &k.WinchAt, quantity.KindLength, -3, maxLength, false)
	number(c, path+"/winchUp", "winch's height", &k.WinchUp, quantity.KindLength, 0, 3, false)
	if b := k.Bunks; b != nil {
		c.bound(path+"/bunks/from", "bunks' front", &b.From, -3, maxLength)
		c.bound(path+"/bunks/to", "bunks' rear", &b.To, -3, maxLength)
		c.bound(path+"/bunks/apart", "distance between the bunks", &b.Apart, 0, 4)
		if b.To <= b.From {
			c.say(path+"/bunks", "The bunks must end behind their front.")
			k.Bunks = nil
		}
	}
}
