package plan

import "zygonos/core/lang/quantity"

// Kept says that an entry is a copy of a thing in the owner's library, and which state of it the
// copy was taken from or last compared with. The copy is the plan's own: a change in the library
// is offered and never forced.
type Kept struct {
	ID       string `json:"id" is:"library's id, text 64"`
	Revision int64  `json:"revision"`
}

// OwnMaterial is a loose material of the owner's own: what one yard's clay or one quarry's gravel
// weighs, once somebody has weighed it.
type OwnMaterial struct {
	Order int    `json:"order"`
	Name  string `json:"name" is:"name, text 200"`
	// the usual material that it lies like (angle of repose), and whose density counts until its
	// own is known
	Like    string           `json:"like,omitempty" is:"material it is like, key materials"`
	Density *DensityEstimate `json:"density,omitempty" is:"density, >0..8000"`
	// how wet it was when that was read; empty: as it usually lies
	Wet  Wet   `json:"wet,omitempty" is:"how wet it was"`
	Kept *Kept `json:"kept,omitempty"`
}

// DensityEstimate is a stated density, kg/m³, with how it is known.
type DensityEstimate struct {
	Value     quantity.Density  `json:"value"`
	PlusMinus *quantity.Density `json:"plusMinus,omitempty"`
	Relative  *float64          `json:"relative,omitempty"`
	How       How               `json:"how"`
	Slips     int               `json:"slips,omitempty"` // how many it was learned from
}

// Range is the estimate with its doubt, that of a volume of the same provenance where none is
// stated: the volume is what is known worst when a load is weighed.
func (e *DensityEstimate) Range() quantity.Range[float64] {
	return volumeDoubt(float64(e.Value), (*float64)(e.PlusMinus), e.Relative, e.How)
}

// BallMount is what carries the ball where it can be taken off the car: its own limits count
// beside the tow bar's, and its ball's size and height replace the car's while it is fitted.
type BallMount struct {
	Order      int     `json:"order"`
	Name       string  `json:"name" is:"name, text 200"`
	Tow        *mass   `json:"tow,omitempty" is:"ball mount's rating"`             // towed mass
	Ball       *mass   `json:"ball,omitempty" is:"ball mount's {ball load} limit"` // pressing on it
	BallRating *mass   `json:"ballRating,omitempty" is:"ball rating"`
	BallSize   *length `json:"ballSize,omitempty" is:"ball size, 0.02..0.12"`
	BallHeight *length `json:"ballHeight,omitempty" is:"ball height, >0..2"`
	Kept       *Kept   `json:"kept,omitempty"`
}
