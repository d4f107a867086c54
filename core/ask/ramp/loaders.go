package ramp

import (
	"strings"

	"zygonos/core/goods"
	"zygonos/core/plan"
	"zygonos/core/rig"
)

// Loaders are what there is to choose from when a machine gets on, by id and in the plan's order.
type Loaders struct {
	Machines []string `json:"machines"` // loads of the outing that stand on wheels
	Ramps    []string `json:"ramps"`    // parts that are ramps
}

// LoadersOf lists them.
func LoadersOf(r *rig.Rig) *Loaders {
	out := &Loaders{Machines: []string{}, Ramps: []string{}}
	for _, id := range r.Plan.LoadIDs() {
		if r.Layout == nil {
			break
		}
		l := r.Plan.Loads[id]
		if _, on := r.Layout.Placements[id]; on && goods.Rolls(&l) {
			out.Machines = append(out.Machines, id)
		}
	}
	for _, id := range plan.Ordered(r.Plan.Parts, func(x plan.Part) int { return x.Order }) {
		if x := r.Plan.Parts[id]; isRamp(&x) {
			out.Ramps = append(out.Ramps, id)
		}
	}
	return out
}

// isRamp reports whether a part is a ramp: stated as one, fitted as one, or called one.
func isRamp(x *plan.Part) bool {
	return x.Ramp != nil || strings.HasPrefix(x.Kind, "ramp") || strings.Contains(strings.ToLower(x.Name), "ramp")
}
