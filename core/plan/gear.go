package plan

// Gear is what a tape says of axle, spindles, bearings, wheels and springs that have no plate.
type Gear struct {
	// the axle's tube or bar, as new
	Tube *Profile `json:"tube,omitempty"`
	// its wall where it is thinnest, beside rust
	WallLeft *length `json:"wallLeft,omitempty" is:"wall that is left, 0..0.05"`
	// between the middles of its two springs
	Seats *length `json:"seats,omitempty" is:"distance between the springs, >0..3"`
	// diameter at the inner bearing
	Spindle *length `json:"spindle,omitempty" is:"spindle's diameter, >0..0.1"`
	// from the wheel's middle plane to the inner bearing
	Arm *length `json:"arm,omitempty" is:"wheel's middle to the inner bearing, >0..0.3"`
	// inner bearing, by its number
	Bearing string `json:"bearing,omitempty" is:"bearing, key bearings"`
	// wheel bolts or nuts, and the circle on which they stand
	Studs  int     `json:"studs,omitempty" is:"number of wheel bolts, 0..8"`
	Circle *length `json:"circle,omitempty" is:"bolt circle, >0..0.3"`
	// leaves of one spring, the thickness and width of one, and from eye to eye
	Leaves    int     `json:"leaves,omitempty" is:"number of leaves, 0..20"`
	Leaf      *length `json:"leaf,omitempty" is:"thickness of a leaf, >0..0.03"`
	LeafWidth *length `json:"leafWidth,omitempty" is:"width of a leaf, >0..0.2"`
	Eyes      *length `json:"eyes,omitempty" is:"spring's length between its eyes, >0..2"`
}
