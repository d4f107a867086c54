package plan

// SecondLink is what holds the trailer when the coupling lets go: chains or cables, all alike.
// How many there are is the trailer's Chains. Places are of where one is fixed to the trailer.
type SecondLink struct {
	Kind  LinkKind `json:"kind,omitempty" is:"kind of second link"`
	Grade string   `json:"grade,omitempty" is:"grade of chain, key chains"`
	// of a chain's link, or of the cable
	Thick length `json:"thick,omitempty" is:"thickness of chain or cable, 0..0.03"`
	// breaking strength of one, where its tag tells it
	Breaks *mass `json:"breaks,omitempty" is:"breaking strength"`
	// working load limit of its weakest hook or shackle
	Hook *mass `json:"hook,omitempty" is:"limit of the hook or shackle"`
	// how its eye is fixed to the trailer; Fastening.In says nothing here
	Bolted *Fastening `json:"bolted,omitempty"`
	Welded bool       `json:"welded,omitempty"`
	// a competent welder looked at the weld
	Seen bool `json:"seen,omitempty"`
	// the same eye also takes a lashing
	TiesToo bool  `json:"tiesToo,omitempty"`
	Crossed *bool `json:"crossed,omitempty"`

	// of one, from eye to eye
	Length *length `json:"length,omitempty" is:"length of the second link, >0..3"`
	// of its eye behind the ball, before a drawbar is lengthened
	Back *length `json:"back,omitempty" is:"place of its eye, 0..5"`
	// of its eye beside the middle; zero for one in the middle
	Aside *length `json:"aside,omitempty" is:"its eye beside the middle, 0..1"`
	// of its eye above the ground, laden and level
	Up *length `json:"up,omitempty" is:"height of its eye, >0..2"`
	// of the car's eye beside the ball
	CarAside *length `json:"carAside,omitempty" is:"the car's eye beside the ball, 0..1"`
}

// LinkKind is a kind of second link.
type LinkKind string

// The kinds of second link.
const (
	LinkChain LinkKind = "chain"
	LinkCable LinkKind = "cable"
)

// LinkKinds lists them.
var LinkKinds = []LinkKind{LinkChain, LinkCable}
