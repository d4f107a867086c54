package rig

import (
	"maps"
	"slices"

	"zygonos/core/facts/catalogue"
	"zygonos/core/lang/quantity"
	"zygonos/core/plan"
)

// rollings are the lengths of a machine that are its kind's until they are taped, and how far off its
// kind's a machine may be, as a share (C). docs/method/ramp.md
var rollings = []struct {
	field, says string
	within      float64
	told        func(*plan.Rolling) **plan.LengthEstimate
	usual       func(*catalogue.Rolls) quantity.Length
}{
	{
		"clearance", "ground clearance", 0.5,
		func(r *plan.Rolling) **plan.LengthEstimate { return &r.Clearance },
		func(k *catalogue.Rolls) quantity.Length { return k.Clearance },
	},
	{
		"frontAxle", "place of the front wheels", 0.3,
		func(r *plan.Rolling) **plan.LengthEstimate { return &r.FrontAxle },
		func(k *catalogue.Rolls) quantity.Length { return k.FrontAxle },
	},
	{
		"wheelbase", "wheelbase", 0.15,
		func(r *plan.Rolling) **plan.LengthEstimate { return &r.Wheelbase },
		func(k *catalogue.Rolls) quantity.Length { return k.Wheelbase },
	},
	{
		"track", "track", 0.15,
		func(r *plan.Rolling) **plan.LengthEstimate { return &r.Track },
		func(k *catalogue.Rolls) quantity.Length { return k.Track },
	},
}

// anyMachine is the kind of a machine of no kind: twice as far off.
const anyMachine = "machine-other"

// UsualRolling lists the lengths of the plan's machines that nobody told and that are taken from their kinds,
// as guesses; of the loads, by their paths, that within wants. Setting one tells it in the plan, whose loads
// are a map of their own from then on.
func UsualRolling(p *plan.Plan, within func(path string) bool) []plan.Guess {
	var out []plan.Guess
	for _, id := range slices.Sorted(maps.Keys(p.Loads)) {
		load := p.Loads[id]
		kind, _ := catalogue.LoadOf(load.Kind)
		path := "/loads/" + id
		if kind.Rolls == nil || !within(path) {
			continue
		}
		told := plan.Rolling{}
		if load.Rolling != nil {
			told = *load.Rolling
		}
		for _, f := range rollings {
			v, share := float64(f.usual(kind.Rolls)), f.within
			if *f.told(&told) != nil || v <= 0 {
				continue
			}
			if kind.ID == anyMachine {
				share *= 2
			}
			share = min(share, 0.9)
			out = append(out, plan.Guess{
				Path: path + "/rolling/" + f.field, Says: f.says, Kind: quantity.KindLength,
				Range: quantity.Range[float64]{Nominal: v, Low: v * (1 - share), High: v * (1 + share)},
				Set: func(v float64) {
					l := p.Loads[id]
					r := plan.Rolling{}
					if l.Rolling != nil {
						r = *l.Rolling
					}
					if f.field == "track" && r.FrontTrack == nil && kind.Rolls.FrontTrack > 0 {
						front := kind.Rolls.FrontTrack // as it is without
						r.FrontTrack = &front
					}
					exact := quantity.Length(0)
					*f.told(&r) = &plan.LengthEstimate{Value: quantity.Length(v), PlusMinus: &exact, How: plan.Typical}
					l.Rolling = &r
					p.Loads = maps.Clone(p.Loads)
					p.Loads[id] = l
				},
			})
		}
	}
	return out
}
