package plan

import "zygonos/core/facts/catalogue"

// AxleCount is how many axles a trailer has: as stated, else as its kind has, else one.
func (t *Trailer) AxleCount() int {
	if t.Axles > 0 {
		return t.Axles
	}
	if k, ok := catalogue.TrailerOf(t.Kind); ok {
		return k.Axles
	}
	return 1
}
