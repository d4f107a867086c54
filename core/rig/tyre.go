package rig

import (
	"zygonos/core/facts/norms"
	"zygonos/core/lang/finding"
	"zygonos/core/lang/quantity"
)

// CarTyres reports whether the trailer stands on tyres of a car where those count for less
// (norms.CarTyreLess).
func (r *Rig) CarTyres() bool { return r.Plan.Region == quantity.NorthAmerica && r.Tyre().Car }

// TyreLimit is what one tyre bears on this trailer, kg, the trailer's field that tells it, and
// the source where it is not the wall's own figure.
func (r *Rig) TyreLimit() (kg *float64, field string, source *finding.Source) {
	kg, field, source = r.wallLimit()
	if kg != nil && r.CarTyres() {
		less := *kg / norms.CarTyreLess
		kg, source = &less, &norms.CarTyreSource
	}
	return kg, field, source
}

// TyresDiffer is the least and the most of what is stated of one tyre's load, kg, where they differ by more than a
// fiftieth.
func (r *Rig) TyresDiffer() (least, most float64, ok bool) {
	r.walls(func(kg float64, _ string, _ *finding.Source) {
		if least == 0 || kg < least {
			least = kg
		}
		most = max(most, kg)
	})
	return least, most, most > least*1.02
}

// wallLimit is what the tyre's wall says: of a plain figure, a load index and the wall's text the least, where they
// differ.
func (r *Rig) wallLimit() (kg *float64, field string, source *finding.Source) {
	field = "/tyreRating"
	r.walls(func(m float64, from string, by *finding.Source) {
		if kg == nil || m < *kg {
			kg, field, source = &m, from, by
		}
	})
	return kg, field, source
}

// walls gives each load of one tyre that is stated, kg, with its field and where it follows from a load index.
func (r *Rig) walls(each func(kg float64, field string, source *finding.Source)) {
	t, wall := r.Trailer, r.Tyre()
	plain := func(m *quantity.Mass, field string) {
		if m != nil {
			each(float64(*m), field, nil)
		}
	}
	index := func(n *int, field string) {
		if n == nil {
			return
		}
		if m, ok := norms.TyreLoad(*n); ok {
			each(float64(m), field, &norms.LoadIndexSource)
		}
	}
	plain(t.TyreRating, "/tyreRating")
	index(t.TyreIndex, "/tyreIndex")
	plain(wall.Load, "/tyreText")
	index(wall.Index, "/tyreText")
}
