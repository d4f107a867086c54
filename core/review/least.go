package review

import (
	"slices"

	"zygonos/core/cost"
	"zygonos/core/lang/finding"
	"zygonos/core/lang/said"
	"zygonos/core/rig"
)

// Least is what a stage takes at least to give an answer, by its id and in the words of its page in
// docs/guide. Practice takes nothing.
var Least = map[string]string{
	"job":      "one outing with one load and its weight",
	"vehicle":  "its {tow rating} and its {ball load} limit, from papers and hitch plate",
	"trailer":  "the plate’s number, and whether it counts the trailer",
	"balance":  "one load placed, the empty weight and the position of the axle",
	"racks":    "a rack’s size and the hull’s weight",
	"ramps":    "the machine’s wheelbase and clearance, the ramp’s length and the deck’s height",
	"tie":      "a strap’s working limit and where the rings are",
	"frame":    "length, width and one section: “draw me one”",
	"wiring":   "the plug and which lamps there are",
	"body":     "the hinge’s place and what lifts it; or a tank’s size; or a wall’s height",
	"workshop": "two sides and two diagonals, or a parts list, or a drawn frame",
	"finish":   "the way (paint, zinc) and a drawn frame or deck",
	"road":     "a loaded outing",
	"papers":   "your region and how you came by the trailer",
	"log":      "one tap after a drive",
	"money":    "one price, or a shop’s list",
}

// answered are the stages that can have an answer without a finding of their own.
var answered = map[string]func(*rig.Rig) bool{
	"workshop": func(r *rig.Rig) bool { return r.Drawn != nil || r.Trailer.Workshop != nil },
	"road": func(r *rig.Rig) bool {
		return slices.ContainsFunc(r.Items, func(i rig.Item) bool { return !i.Part })
	},
	"papers": func(r *rig.Rig) bool { return r.Trailer.Plate != nil && r.Trailer.Plate.Kind != "" },
	"money": func(r *rig.Rig) bool {
		return r.Trailer.Money != nil || len(cost.Of(r.Scope.Trailer, r.Trailer).Lines) > 0
	},
}

// leastOf is what a stage takes at least, while it has no answer: no finding of its own that is known, and nothing else to show.
func leastOf(id string, fs []finding.Finding, r *rig.Rig) said.Sentence {
	says, ok := Least[id]
	if !ok || slices.ContainsFunc(fs, func(f finding.Finding) bool {
		return f.Stage == id && f.Outcome != finding.Unknown
	}) {
		return nil
	}
	if has := answered[id]; has != nil && r != nil && has(r) {
		return nil
	}
	return said.Say(says)
}
