package energy

import (
	"cmp"
	"slices"

	"zygonos/core/plan"
	"zygonos/core/rig"
)

// Figures of what air a trailer takes, C_d·A in m² (practice, C).
var (
	lowTrailer = span{Nominal: 0.17, Low: 0.10, High: 0.25} // frame, wheels and what stands behind the car
	bluntShare = span{Nominal: 0.85, Low: 0.70, High: 1.00} // of an area outside the car's outline
	hullShare  = span{Nominal: 0.45, Low: 0.30, High: 0.60} // of a hull's, bow ahead
)

// outlines of cars from behind, m: half the width, the roof.
var outlines = map[plan.CarBody][2]float64{
	"": {0.88, 1.45}, plan.BodyHatch: {0.88, 1.45}, plan.BodyEstate: {0.90, 1.48}, plan.BodyTall: {0.94, 1.75},
	plan.BodyPickup: {0.94, 1.78}, plan.BodyVan: {1.00, 2.05},
}

type frontal struct {
	left, right, bottom, top float64
	hull                     bool
}

// DragOf is C_d·A that the trailer adds, m²: that of a low trailer, and of what stands out of the car's outline from behind a
// share of its area; where things overlap it counts once, as the blunter. empty leaves the loads at home.
func DragOf(r *rig.Rig, empty bool) span {
	blunt, hull := areas(r, empty)
	add := func(of func(span) float64) float64 { return of(lowTrailer) + of(bluntShare)*blunt + of(hullShare)*hull }
	return span{
		Nominal: add(func(s span) float64 { return s.Nominal }),
		Low:     add(func(s span) float64 { return s.Low }),
		High:    add(func(s span) float64 { return s.High }),
	}
}

// areas are those of blunt things and of hulls outside the car's outline, m²: strip by strip across, in each the height that any
// covers, and that blunt ones do.
func areas(r *rig.Rig, empty bool) (blunt, hull float64) {
	car := outlines[""]
	if r.Vehicle != nil {
		car = outlines[r.Vehicle.Body]
	}
	var fronts []frontal
	xs := []float64{-car[0], car[0]}
	add := func(f frontal) {
		if f.right > f.left && f.top > f.bottom {
			fronts = append(fronts, f)
			xs = append(xs, f.left, f.right)
		}
	}
	for i := range r.Items {
		it := &r.Items[i]
		if it.Open || empty && !it.Part {
			continue
		}
		add(frontal{it.Left, it.Right, max(0, it.Bottom), it.Top, it.Shape == "hull"})
	}
	if w, s := r.Trailer.DeckWidth, r.Trailer.SideHeight; w != nil && s != nil {
		half := float64(w.Value) / 2
		add(frontal{-half, half, r.DeckHeight(), r.DeckHeight() + float64(*s), false})
	}
	slices.Sort(xs)
	xs = slices.Compact(xs)
	slices.SortFunc(fronts, func(a, b frontal) int { return cmp.Compare(a.bottom, b.bottom) })
	for i := 1; i < len(xs); i++ {
		x, wide := (xs[i]+xs[i-1])/2, xs[i]-xs[i-1]
		from := 0.0
		if x > -car[0] && x < car[0] {
			from = car[1]
		}
		all, some := covered(fronts, x, from)
		blunt, hull = blunt+wide*some, hull+wide*(all-some)
	}
	return blunt, hull
}

// covered is how much of the height over from is covered at x by any of the fronts, which stand by their lower ends, and by blunt ones.
func covered(fronts []frontal, x, from float64) (all, blunt float64) {
	topAll, topBlunt := from, from
	for i := range fronts {
		f := &fronts[i]
		if x <= f.left || x >= f.right {
			continue
		}
		if f.top > topAll {
			all += f.top - max(f.bottom, topAll)
			topAll = f.top
		}
		if !f.hull && f.top > topBlunt {
			blunt += f.top - max(f.bottom, topBlunt)
			topBlunt = f.top
		}
	}
	return all, blunt
}
