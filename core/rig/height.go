package rig

// EmptyHeight is the height of the empty trailer's centre as a share of the deck's (practice, C).
var EmptyHeight = span{Nominal: 0.8, Low: 0.6, High: 1.0}

// loadHeightDoubt is how far a load's centre may lie from where it is taken, share of its height.
const loadHeightDoubt = 0.10

// CentreHeight is the height of the loaded rig's centre above the ground, m:
// h = Σ mᵢ·zᵢ / Σ mᵢ over the empty trailer and all that is placed.
func (r *Rig) CentreHeight() *span {
	empty := r.EmptyMass()
	if empty == nil || r.Trailer.DeckHeight == nil {
		return nil
	}
	deck := float64(r.Trailer.DeckHeight.Value)
	m := empty.Nominal
	sum := span{
		Nominal: m * deck * EmptyHeight.Nominal,
		Low:     m * deck * EmptyHeight.Low,
		High:    m * deck * EmptyHeight.High,
	}
	for i := range r.Items {
		it := &r.Items[i]
		if it.Mass == nil {
			return nil
		}
		doubt := 0.0
		if !heightKnown(it) {
			doubt = loadHeightDoubt * (it.Top - it.Bottom)
		}
		k := it.Mass.Nominal
		m += k
		sum.Nominal += k * it.Z
		sum.Low += k * (it.Z - doubt)
		sum.High += k * (it.Z + doubt)
	}
	if !(m > 0) {
		return nil
	}
	return &span{Nominal: sum.Nominal / m, Low: sum.Low / m, High: sum.High / m}
}

// heightKnown reports whether the heights of a load's centre and of all that is in it are
// stated.
func heightKnown(it *Item) bool {
	if it.Load == nil || it.Load.Centre.Up == nil {
		return false
	}
	for _, c := range it.Load.Contents {
		if c.At.Up <= 0 {
			return false
		}
	}
	return true
}
