package plan

import "zygonos/core/lang/quantity"

// Bulk says that a load is loose material: sand, gravel, soil, mulch. Its mass
// follows from the volume and the material's density; a load By mass keeps its
// own Mass.
type Bulk struct {
	Material string          `json:"material"`      // key into catalogue.Materials
	Wet      Wet             `json:"wet,omitempty"` // empty: not known, so anything from dry to wet
	By       BulkBy          `json:"by"`
	Volume   *VolumeEstimate `json:"volume,omitempty"` // the whole; with scoops and bulk bags, of one
	Count    *float64        `json:"count,omitempty"`  // of scoops or bags
	Each     *MassEstimate   `json:"each,omitempty"`   // one bag's mass
	Heap     *VolumeEstimate `json:"heap,omitempty"`   // all that is to be moved, for the trips
}

// Wet says how wet a loose material is.
type Wet string

// Loose material as it lies.
const (
	Dry    Wet = "dry"
	Soaked Wet = "wet"
)

// BulkBy says how the amount of loose material is told.
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

// BulkBys lists the ways in which loose material is told.
var BulkBys = []BulkBy{ByVolume, ByMass, ByLevel, ByHeaped, ByScoops, ByBags, ByBulkBags}

// Tank says that a load is a tank of fluid. The load's own Mass is the empty
// tank's, its Size is the tank's.
type Tank struct {
	Fluid    string          `json:"fluid"` // key into catalogue.Fluids
	Fill     *float64        `json:"fill,omitempty"`
	Capacity *VolumeEstimate `json:"capacity,omitempty"` // nil: nearly all of its box
	Drains   bool            `json:"drains,omitempty"`   // may be emptied on the way: judged from empty to Fill
}

// Pieces says that a load is a pack of like pieces: sheets, boards, battens.
type Pieces struct {
	Material  string `json:"material"` // key into catalogue.Solids
	Count     int    `json:"count"`
	Across    int    `json:"across,omitempty"` // pieces side by side in a layer; 0 is one
	Length    length `json:"length"`
	Width     length `json:"width"`
	Thickness length `json:"thickness"`
}

// Rolling is how a machine stands on its wheels, from its own front face. What
// is nil is taken from the load's kind.
type Rolling struct {
	FrontAxle *LengthEstimate `json:"frontAxle,omitempty"`
	Wheelbase *LengthEstimate `json:"wheelbase,omitempty"`
	Track     *LengthEstimate `json:"track,omitempty"`
	Clearance *LengthEstimate `json:"clearance,omitempty"` // belly above the ground

	Wheel      *length `json:"wheel,omitempty"`      // diameter of the rear wheels, and of the front ones where they are not told
	FrontWheel *length `json:"frontWheel,omitempty"` // diameter
	Tyre       *length `json:"tyre,omitempty"`       // width of the widest
	FrontTrack *length `json:"frontTrack,omitempty"` // of the front wheels, where it is another
	FrontTyre  *length `json:"frontTyre,omitempty"`  // width
	Nose       *length `json:"nose,omitempty"`       // of what hangs before the front wheels above the ground; nil: the belly
}

// Hull is where a boat may be held, from its bow. What is nil is taken from the
// load's kind.
type Hull struct {
	From  *LengthEstimate `json:"from,omitempty"`  // firm from here …
	To    *LengthEstimate `json:"to,omitempty"`    // … to here
	Apart *LengthEstimate `json:"apart,omitempty"` // between the lines that bear, across

	Draft *length `json:"draft,omitempty"` // of keel under water, at the stern
	EyeAt *length `json:"eyeAt,omitempty"` // of the bow eye, behind the stem
	EyeUp *length `json:"eyeUp,omitempty"` // above the keel

	Press *mass `json:"press,omitempty"` // that a strap may press it with
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
var DefaultVolumeDoubts = map[How]float64{Weighed: 0.05, Plate: 0.03, Maker: 0.05, Typical: 0.15, Guessed: 0.25}

// Range is the estimate with its doubt; a volume is never below nought.
func (e *VolumeEstimate) Range() quantity.Range[float64] {
	share, ok := DefaultVolumeDoubts[e.How]
	if !ok {
		share = DefaultVolumeDoubts[Guessed]
	}
	v := float64(e.Value)
	d := plusMinus(v, (*float64)(e.PlusMinus), e.Relative, share)
	return quantity.Range[float64]{Nominal: v, Low: max(0, v-d), High: v + d}
}
