package plan

// Access is what one needs to get at wheels and deck: mudguards, steps, something to hold on to.
type Access struct {
	// of a mudguard: from the hub's middle to its inside, as it stands empty; its width; how far its outer side
	// hangs down under its top
	GuardRadius *length `json:"guardRadius,omitempty" is:"radius of the mudguard, 0.1..0.8"`
	GuardWide   *length `json:"guardWide,omitempty" is:"width of the mudguard, 0.05..0.6"`
	GuardSkirt  *length `json:"guardSkirt,omitempty" is:"skirt of the mudguard, 0..0.6"`
	// people stand on it; what it is held by, and how many of them
	Stood    bool    `json:"stood,omitempty"`
	Bracket  Profile `json:"bracket,omitzero"`
	Brackets int     `json:"brackets,omitempty" is:"number of brackets, 0..6"`
	// the lowest step over the ground, and the steps apart up to the deck
	StepUp    *length `json:"stepUp,omitempty" is:"height of the lowest step, 0.05..1.5"`
	StepApart *length `json:"stepApart,omitempty" is:"distance of the steps, 0.05..1"`
	Handhold  bool    `json:"handhold,omitempty"`
	// something slanted before and behind what stands out beside the deck
	Bumpers bool `json:"bumpers,omitempty"`
}
