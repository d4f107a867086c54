package rig

import (
	"maps"
	"slices"
	"strings"

	"zygonos/core/facts/catalogue"
	"zygonos/core/lang/quantity"
	"zygonos/core/plan"
)

// taken are the lengths of a load that are its kind's until they are taped, and how far off its kind's a load
// may be, as a share (C); a hull half as much again where hulls says so. docs/method/estimates.md
var taken = []struct {
	field, says string
	within      float64
	hulls       bool
	told        func(*plan.Load, *plan.Rolling) **plan.LengthEstimate
	usual       func(*catalogue.LoadKind, *catalogue.Rolls) quantity.Length
}{
	{
		"size/length", "length", 0.1, true,
		func(l *plan.Load, _ *plan.Rolling) **plan.LengthEstimate { return &l.Size.Length },
		func(k *catalogue.LoadKind, _ *catalogue.Rolls) quantity.Length { return k.Length },
	},
	{
		"size/width", "width", 0.1, true,
		func(l *plan.Load, _ *plan.Rolling) **plan.LengthEstimate { return &l.Size.Width },
		func(k *catalogue.LoadKind, _ *catalogue.Rolls) quantity.Length { return k.Width },
	},
	{
		"size/height", "height", 0.1, true,
		func(l *plan.Load, _ *plan.Rolling) **plan.LengthEstimate { return &l.Size.Height },
		func(k *catalogue.LoadKind, _ *catalogue.Rolls) quantity.Length { return k.Height },
	},
	{
		"rolling/clearance", "ground clearance", 0.5, false,
		func(_ *plan.Load, r *plan.Rolling) **plan.LengthEstimate { return &r.Clearance },
		func(_ *catalogue.LoadKind, r *catalogue.Rolls) quantity.Length { return r.Clearance },
	},
	{
		"rolling/frontAxle", "place of the front wheels", 0.3, false,
		func(_ *plan.Load, r *plan.Rolling) **plan.LengthEstimate { return &r.FrontAxle },
		func(_ *catalogue.LoadKind, r *catalogue.Rolls) quantity.Length { return r.FrontAxle },
	},
	{
		"rolling/wheelbase", "wheelbase", 0.15, false,
		func(_ *plan.Load, r *plan.Rolling) **plan.LengthEstimate { return &r.Wheelbase },
		func(_ *catalogue.LoadKind, r *catalogue.Rolls) quantity.Length { return r.Wheelbase },
	},
	{
		"rolling/track", "track", 0.15, false,
		func(_ *plan.Load, r *plan.Rolling) **plan.LengthEstimate { return &r.Track },
		func(_ *catalogue.LoadKind, r *catalogue.Rolls) quantity.Length { return r.Track },
	},
}

const (
	hullsMore   = 1.5 // a hull's size, for kinds run from short to long
	othersMore  = 2   // of a thing of no kind
	mostUsually = 0.9
)

// Taken lists the lengths of the plan's loads that nobody stated and that are taken from their kinds, and the
// usual weights of those who drive them on, as guesses; of the entries, by their paths, that within wants.
// Setting one tells it in the plan, whose loads or outings are a map of their own from then on.
func Taken(p *plan.Plan, within func(path string) bool) []plan.Guess {
	var out []plan.Guess
	for _, id := range slices.Sorted(maps.Keys(p.Loads)) {
		load := p.Loads[id]
		kind, known := catalogue.LoadOf(load.Kind)
		path := "/loads/" + id
		if !known || kind.Shape == "heap" || load.Bulk != nil || load.Tank != nil || load.Pieces != nil || !within(path) {
			continue
		}
		told, usual := plan.Rolling{}, catalogue.Rolls{}
		if load.Rolling != nil {
			told = *load.Rolling
		}
		if kind.Rolls != nil {
			usual = *kind.Rolls
		}
		for _, f := range taken {
			v, share := float64(f.usual(&kind, &usual)), f.within
			if *f.told(&load, &told) != nil || v <= 0 {
				continue
			}
			if f.hulls && kind.Shape == "hull" {
				share *= hullsMore
			}
			if strings.HasSuffix(kind.ID, "-other") || kind.ID == "box" {
				share *= othersMore
			}
			share = min(share, mostUsually)
			out = append(out, plan.Guess{
				Path: path + "/" + f.field, Says: f.says, Kind: quantity.KindLength, Taken: true,
				Range: quantity.Range[float64]{Nominal: v, Low: v * (1 - share), High: v * (1 + share)},
				Set: func(v float64) {
					l := p.Loads[id]
					r := plan.Rolling{}
					if l.Rolling != nil {
						r = *l.Rolling
					}
					if f.field == "rolling/track" && r.FrontTrack == nil && usual.FrontTrack > 0 {
						front := usual.FrontTrack // as it is without
						r.FrontTrack = &front
					}
					exact := quantity.Length(0)
					*f.told(&l, &r) = &plan.LengthEstimate{Value: quantity.Length(v), PlusMinus: &exact, How: plan.Typical}
					if l.Rolling != nil || r != (plan.Rolling{}) {
						l.Rolling = &r
					}
					p.Loads = maps.Clone(p.Loads)
					p.Loads[id] = l
				},
			})
		}
	}
	return append(out, drivers(p, within)...)
}
