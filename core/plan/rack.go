package plan

import "zygonos/core/quantity"

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

// Profile is a section of stock: shape and sizes as core/section takes them, and
// the material.
type Profile struct {
	Shape    string `json:"shape"`
	Height   length `json:"height"`
	Width    length `json:"width,omitempty"`
	Wall     length `json:"wall,omitempty"`
	Lip      length `json:"lip,omitempty"`
	Material string `json:"material"` // key into catalogue.Stocks
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
	c.profile(path+"/post", &r.Post)
	c.profile(path+"/bar", &r.Bar)
	r.Tiers = entries(c, r.Tiers, path+"/tiers", func(path string, t *Tier) {
		c.bound(path+"/up", "tier's height", &t.Up, 0, 5)
		c.bound(path+"/length", "bar's length", &t.Length, 0, 5)
	})
}

func (c *cleaner) profile(path string, p *Profile) {
	c.bound(path+"/height", "section's height", &p.Height, 0, 0.5)
	c.bound(path+"/width", "section's width", &p.Width, 0, 0.5)
	c.bound(path+"/wall", "section's wall", &p.Wall, 0, 0.1)
	c.bound(path+"/lip", "section's lip", &p.Lip, 0, 0.1)
}

// bound puts a length that lies beyond its bounds to nought.
func (c *cleaner) bound(path, what string, v *length, low, high length) {
	p := v
	if number(c, path, what, &p, quantity.KindLength, low, high, false); p == nil {
		*v = 0
	}
}
