package rig

import (
	"zygonos/core/facts/norms"
	"zygonos/core/lang/finding"
	"zygonos/core/lang/quantity"
)

// TyreLimit is what one tyre bears, kg, the trailer's field that tells it, and
// the source where it follows from a load index.
func (r *Rig) TyreLimit() (kg *float64, field string, source *finding.Source) {
	t := r.Trailer
	num := func(v quantity.Mass) *float64 { f := float64(v); return &f }
	index := func(n int, field string) (*float64, string, *finding.Source) {
		m, ok := norms.TyreLoad(n)
		if !ok {
			return nil, "/tyreRating", nil
		}
		return num(m), field, &norms.LoadIndexSource
	}
	wall := r.Tyre()
	switch {
	case t.TyreRating != nil:
		return num(*t.TyreRating), "/tyreRating", nil
	case t.TyreIndex != nil:
		return index(*t.TyreIndex, "/tyreIndex")
	case wall.Load != nil:
		return num(*wall.Load), "/tyreText", nil
	case wall.Index != nil:
		return index(*wall.Index, "/tyreText")
	}
	return nil, "/tyreRating", nil
}
