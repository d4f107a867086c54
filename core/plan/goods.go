package plan

import "zygonos/core/lang/quantity"

// Bulk says that a load is loose material: sand, gravel, soil, mulch. Its mass
// follows from the volume and the material's density; a load By mass keeps its
// own Mass.
type Bulk struct {
	Material string `json:"material" is:"material, key materials"`
	// the owner's own material; it counts before Material
	Own string `json:"own,omitempty" is:"own material, ref materials"`
	// empty: not known, so anything from dry to wet
	Wet Wet    `json:"wet,omitempty" is:"measure, own"`
	By  BulkBy `json:"by" is:"measure, own"`
	// the whole; with scoops and bulk bags, of one
	Volume *VolumeEstimate `json:"volume,omitempty" is:"volume"`
	Count  *float64        `json:"count,omitempty" is:"count, 0..2000"` // of scoops or bags
	Each   *MassEstimate   `json:"each,omitempty" is:"weight of a bag"` // one bag's mass
	// all that is to be moved, for the trips
	Heap *VolumeEstimate `json:"heap,omitempty" is:"volume of the whole heap"`
}

// Wet says how wet a loose material is.
type Wet string

// Loose material as it lies.
const (
	Dry    Wet = "dry"
	Soaked Wet = "wet"
)

// BulkBy says how the amount of loose material is stated.
type BulkBy string

// The ways in which loose material is measured and sold.
const (
	ByVolume   BulkBy = "volume"
	ByMass     BulkBy = "mass"
	ByLevel    BulkBy = "level"  // level with the sides
	ByHeaped   BulkBy = "heaped" // as much as lies on top of them
	ByScoops   BulkBy = "scoops" // a loader drops each in one place
	ByBags     BulkBy = "bags"   // small bags, so many of so much each
	ByBulkBags BulkBy = "bulk-bags"
)

// BulkBys lists the ways in which loose material is stated.
var BulkBys = []BulkBy{ByVolume, ByMass, ByLevel, ByHeaped, ByScoops, ByBags, ByBulkBags}

// Tank says that a load is a tank of fluid. The load's own Mass is the empty
// tank's, its Size is the tank's.
type Tank struct {
	Fluid string    `json:"fluid" is:"fluid, key fluids"`
	Shape TankShape `json:"shape,omitempty" is:"shape of the tank"` // empty: a box
	// walls across with holes
	Baffles int `json:"baffles,omitempty" is:"number of baffles, 0..20"`
	// of the stand under it: legs, what one is of, braced both ways; it stands as high as the tank is placed over the deck
	Legs       int     `json:"legs,omitempty" is:"number of legs, 0..12"`
	Leg        Profile `json:"leg,omitzero"`
	LegsBraced bool    `json:"legsBraced,omitempty"`
	// of a saddle: the tunnel in the middle of its floor
	TunnelWide *length `json:"tunnelWide,omitempty" is:"width of the tunnel, 0..3"`
	TunnelHigh *length `json:"tunnelHigh,omitempty" is:"height of the tunnel, 0..3"`

	Fill     *float64        `json:"fill,omitempty" is:"fill, share 0..1"`
	Capacity *VolumeEstimate `json:"capacity,omitempty" is:"tank's volume"` // nil: nearly all of its box
	// may be emptied on the way: judged from empty to Fill
	Drains bool `json:"drains,omitempty"`
}

// TankShape is the shape of a tank.
type TankShape string

// The shapes.
const (
	TankBox     TankShape = "box"
	TankUpright TankShape = "upright" // a cylinder that stands
	TankAlong   TankShape = "along"   // a cylinder that lies, its axis along the trailer
	TankAcross  TankShape = "across"
	TankSaddle  TankShape = "saddle" // over a tunnel along its middle
)

// TankShapes lists them.
var TankShapes = []TankShape{TankBox, TankUpright, TankAlong, TankAcross, TankSaddle}

// Pieces says that a load is a pack of like pieces: sheets, boards, battens.
type Pieces struct {
	Material  string `json:"material" is:"material, key solids"`
	Count     int    `json:"count" is:"number of pieces, 0..2000"`
	Across    int    `json:"across,omitempty" is:"number of pieces side by side, 0..2000"` // in a layer; 0 is one
	Length    length `json:"length" is:"length of a piece, 0..50"`                         // zero: not stated
	Width     length `json:"width" is:"width of a piece, 0..50"`
	Thickness length `json:"thickness" is:"thickness of a piece, 0..50"`
}

// Rolling is how a machine stands on its wheels, from its own front face. What
// is nil is taken from the load's kind.
type Rolling struct {
	FrontAxle *LengthEstimate `json:"frontAxle,omitempty" is:"place of the front wheels, -50..50"`
	Wheelbase *LengthEstimate `json:"wheelbase,omitempty" is:"wheelbase"`
	Track     *LengthEstimate `json:"track,omitempty" is:"track"`
	Clearance *LengthEstimate `json:"clearance,omitempty" is:"ground clearance"` // belly above the ground

	// diameter of the rear wheels, and of the front ones where they are not stated
	Wheel      *length `json:"wheel,omitempty" is:"wheel's diameter, >0..3"`
	FrontWheel *length `json:"frontWheel,omitempty" is:"front wheel's diameter, >0..3"` // diameter
	Tyre       *length `json:"tyre,omitempty" is:"{tyre}'s width, >0..1"`               // width of the widest
	// of the front wheels, where it is another
	FrontTrack *length `json:"frontTrack,omitempty" is:"front track, >0..3"`
	FrontTyre  *length `json:"frontTyre,omitempty" is:"front {tyre}'s width, >0..1"` // width
	// of what hangs before the front wheels above the ground; nil: the belly
	Nose *length `json:"nose,omitempty" is:"nose's height, 0..3"`
	// of what hangs behind the rear wheels above the ground; nil: the belly
	Tail *length `json:"tail,omitempty" is:"tail's height, 0..3"`
}

// Hull is where a boat may be held, from its bow. What is nil is taken from the
// load's kind.
type Hull struct {
	From *LengthEstimate `json:"from,omitempty" is:"place of a support, -50..50"` // firm from here …
	To   *LengthEstimate `json:"to,omitempty" is:"place of a support, -50..50"`   // … to here
	// between the lines that bear, across
	Apart *LengthEstimate `json:"apart,omitempty" is:"distance of the lines that bear"`

	// of keel under water, at the stern
	Draft *length `json:"draft,omitempty" is:"draft, 0..3" stage:"racks"`
	// of the bow eye, behind the stem
	EyeAt *length `json:"eyeAt,omitempty" is:"bow eye's place, -1..5" stage:"racks"`
	EyeUp *length `json:"eyeUp,omitempty" is:"bow eye's height, 0..5" stage:"racks"` // above the keel

	// that a strap may press it with
	Press *mass `json:"press,omitempty" is:"what a strap may press the hull with"`
	// what stands out under it: skeg, wear pad, transducer
	Under map[string]Under `json:"under,omitempty" stage:"racks"`
}

// Under is something that stands out under a hull.
type Under struct {
	Order  int    `json:"order"`
	Name   string `json:"name" is:"name, text 200"`
	At     length `json:"at" is:"its place behind the bow, 0..50"`
	Length length `json:"length,omitempty" is:"its length, 0..10"`
	Deep   length `json:"deep,omitempty" is:"how far it stands out, 0..1"`
}

// VolumeEstimate is a stated volume, m³, with how it is known.
type VolumeEstimate struct {
	Value     quantity.Volume  `json:"value"`
	PlusMinus *quantity.Volume `json:"plusMinus,omitempty"`
	Relative  *float64         `json:"relative,omitempty"`
	How       How              `json:"how"`
}

// DefaultVolumeDoubts are the plus-minus of a volume by provenance, as a share:
// a level box is measured well, a shovelled heap is not. Own practice figures.
var DefaultVolumeDoubts = map[How]float64{Weighed: 0.05, Learned: 0.05, Plate: 0.03, Maker: 0.05, Typical: 0.15, Guessed: 0.25}

// Range is the estimate with its doubt; a volume is never below zero.
func (e *VolumeEstimate) Range() quantity.Range[float64] {
	return volumeDoubt(float64(e.Value), (*float64)(e.PlusMinus), e.Relative, e.How)
}

// volumeDoubt is a value with its doubt: as stated, else that of a volume of its provenance.
func volumeDoubt(v float64, stated, relative *float64, how How) quantity.Range[float64] {
	share, ok := DefaultVolumeDoubts[how]
	if !ok {
		share = DefaultVolumeDoubts[Guessed]
	}
	d := plusMinus(v, stated, relative, share)
	return quantity.Range[float64]{Nominal: v, Low: max(0, v-d), High: v + d}
}
