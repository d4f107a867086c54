package study

import (
	"maps"
	"math"
	"slices"

	"zygonos/core/lang/finding"
	"zygonos/core/lang/quantity"
	"zygonos/core/lang/said"
	"zygonos/core/plan"
)

// Place is where a scale stands: what of the laden rig it reads, or an end of a load.
type Place string

// The places beside those of plan.Whats.
const (
	PlaceFront Place = "front"
	PlaceRear  Place = "rear"
)

// Weighed is a value that a scale gave.
type Weighed struct {
	At    Place         `json:"at"`
	Load  string        `json:"load,omitempty"` // whose end it is
	ID    string        `json:"id,omitempty"`   // of the new reading
	Value quantity.Mass `json:"value"`
	Doubt quantity.Mass `json:"doubt"`
}

// Written is how it is written into the plan, or why it cannot be.
type Written struct {
	Ops   []finding.Op  `json:"ops"`
	Wrong said.Sentence `json:"wrong,omitempty"`
}

func refused(pattern string) *Written { return &Written{Ops: []finding.Op{}, Wrong: said.Say(pattern)} }

// Enter writes what a scale gave into a plan: as a reading of the laden rig after those that are there, or
// as the weight at an end of a load. Of a load the front end comes first: with it alone the rest of the
// load's weight is taken at the rear end.
func Enter(p *plan.Plan, trailer, outing string, w *Weighed) *Written {
	if v, d := float64(w.Value), float64(w.Doubt); !(v > 0 && d >= 0) || math.IsInf(v, 0) || math.IsInf(d, 0) {
		return refused("That is not a weight a scale can show.")
	}
	if w.At == PlaceFront || w.At == PlaceRear {
		return enterEnd(p, w)
	}
	layout, ok := p.Outings[outing].Layouts[trailer]
	switch {
	case !slices.Contains(plan.Whats, plan.What(w.At)):
		return refused("That is not a place for a scale.")
	case !ok || w.ID == "":
		return refused("This outing does not take that trailer yet.")
	}
	order := 1
	for r := range maps.Values(layout.Readings) {
		order = max(order, r.Order+1)
	}
	path := "/outings/" + outing + "/layouts/" + trailer + "/readings"
	value := map[string]any{"order": order, "what": w.At, "mass": w.Value, "plusMinus": w.Doubt}
	if len(layout.Readings) == 0 {
		return &Written{Ops: []finding.Op{{Op: "add", Path: path, Value: map[string]any{w.ID: value}}}}
	}
	return &Written{Ops: []finding.Op{{Op: "add", Path: path + "/" + w.ID, Value: value}}}
}

func enterEnd(p *plan.Plan, w *Weighed) *Written {
	load, ok := p.Loads[w.Load]
	if !ok {
		return refused("Which load was it? Choose it first.")
	}
	read := map[string]any{"value": w.Value, "plusMinus": w.Doubt, "how": plan.Weighed}
	path := "/loads/" + w.Load + "/ends"
	end := func(at Place) finding.Op { return finding.Op{Op: "add", Path: path + "/" + string(at), Value: read} }
	switch {
	case load.Ends == nil && w.At == PlaceRear:
		return refused("Weigh its front end first, then the rear.")
	case load.Ends == nil && load.Size.Length == nil:
		return refused("How long is the load? Enter it under Loads first: its ends are that far apart.")
	case load.Ends == nil:
		return &Written{Ops: []finding.Op{{Op: "add", Path: path, Value: map[string]any{
			"front": read, "rear": read, "frontAt": 0, "rearAt": load.Size.Length.Value, "one": true,
		}}}}
	case w.At == PlaceFront && load.Ends.One:
		return &Written{Ops: []finding.Op{end(PlaceFront), end(PlaceRear)}}
	case w.At == PlaceRear && load.Ends.One:
		return &Written{Ops: []finding.Op{end(PlaceRear), {Op: "remove", Path: path + "/one"}}}
	}
	return &Written{Ops: []finding.Op{end(w.At)}}
}
