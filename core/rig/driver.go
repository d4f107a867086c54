package rig

import (
	"maps"
	"slices"

	"zygonos/core/facts/catalogue"
	"zygonos/core/lang/quantity"
	"zygonos/core/plan"
)

// UsualDriver is the weight of who drives a machine on, in clothes, where nobody stated it, kg (C).
var UsualDriver = quantity.Range[float64]{Nominal: 90, Low: 50, High: 130}

// Driver is the weight of who rides on a machine while it gets on: as stated, or a usual one; zero where it
// is drawn on by a line or driven on foot.
func Driver(p *plan.Plan, l *plan.Loading) quantity.Range[float64] {
	switch {
	case l == nil || l.Drive == plan.DriveWinch:
		return quantity.Range[float64]{}
	case l.Driver != nil:
		return l.Driver.Range(p).Floats()
	case rides(p, l):
		return UsualDriver
	}
	return quantity.Range[float64]{}
}

// Machines are what stands on the deck on its wheels.
func (r *Rig) Machines() (out []*Item) {
	for i := range r.Items {
		if it := &r.Items[i]; it.Shape == "wheels" && !it.Part && it.OnDeck {
			out = append(out, it)
		}
	}
	return out
}

// LoadingOf is how a machine gets on in place of the one that is stated, and as that one does. A driver who is
// stated rides on it too, but for one that is driven on foot.
func LoadingOf(p *plan.Plan, l *plan.Loading, machine string) *plan.Loading {
	next := *l
	if next.Machine = machine; !rides(p, &next) {
		next.Driver = nil
	}
	return &next
}

// rides reports whether who drives a machine rides on it.
func rides(p *plan.Plan, l *plan.Loading) bool {
	load, ok := p.Loads[l.Machine]
	kind, _ := catalogue.LoadOf(load.Kind)
	return ok && !kind.Walked
}

// drivers lists the drivers of machines that nobody stated, as guesses. Setting one tells it in the plan, whose
// outings are a map of their own from then on.
func drivers(p *plan.Plan, within func(path string) bool) (out []plan.Guess) {
	for _, o := range slices.Sorted(maps.Keys(p.Outings)) {
		if !within("/outings/" + o) {
			continue
		}
		for _, t := range slices.Sorted(maps.Keys(p.Outings[o].Layouts)) {
			path := "/outings/" + o + "/layouts/" + t
			l := p.Outings[o].Layouts[t].Loading
			if l == nil || l.Driver != nil || l.Machine == "" || Driver(p, l).Nominal == 0 || !within(path) {
				continue
			}
			out = append(out, plan.Guess{
				Path: path + "/loading/driver", Says: "driver's weight", Kind: quantity.KindMass, Taken: true,
				Range: UsualDriver,
				Set: func(v float64) {
					exact := quantity.Mass(0)
					outing := p.Outings[o]
					layout := outing.Layouts[t]
					told := *layout.Loading
					told.Driver = &plan.MassEstimate{Value: quantity.Mass(v), PlusMinus: &exact, How: plan.Typical}
					layout.Loading = &told
					outing.Layouts = maps.Clone(outing.Layouts)
					outing.Layouts[t] = layout
					p.Outings = maps.Clone(p.Outings)
					p.Outings[o] = outing
				},
			})
		}
	}
	return out
}
