package lashing

import (
	"cmp"
	"fmt"

	"zygonos/core/lang/finding"
	"zygonos/core/lang/said"
	"zygonos/core/rig"
)

// Ticks are the departure card's lines of what ties each load down.
func Ticks(r *rig.Rig) []finding.Tick {
	var out []finding.Tick
	for _, l := range Loads(r) {
		if r.Layout.Placements[l.Item.ID].Mat {
			out = append(
				out,
				finding.Tick{
					Under: finding.UnderTied,
					ID:    "mat-" + l.Item.ID,
					Says:  said.Say("Anti-slip mat under %.", said.Name(l.Item.Name, "the load")),
				},
			)
		}
		if l.Blocks != [4]float64{} {
			out = append(
				out,
				finding.Tick{
					Under: finding.UnderTied,
					ID:    "blocked-" + l.Item.ID,
					Says:  said.Say("% stands against what blocks it.", said.Name(l.Item.Name, "The load")),
				},
			)
		}
		for i := range l.Ties {
			t := &l.Ties[i]
			name := said.Name(t.Name, "Strap")
			if t.Hook != "" {
				name = said.Piece{Name: fmt.Sprintf("%s (%s)", cmp.Or(t.Name, "Strap"), t.Hook)}
			}
			from := said.Piece{Text: PointName(r, t.Ends[0].PointID)}
			says := said.Say(
				"%: % to %, % behind its front, % up.",
				name,
				from,
				said.Name(l.Item.Name, "the load"),
				said.Length(t.Ends[0].Hold[0]-l.Item.Front),
				said.Length(t.Ends[0].Hold[2]-l.Item.Bottom),
			)
			if t.Over {
				says = said.Say(
					"%: % over % to %.",
					name,
					from,
					said.Name(l.Item.Name, "the load"),
					said.Piece{Text: PointName(r, t.Ends[1].PointID)},
				)
			}
			if t.Eased > 0 {
				says = append(says, said.Say(" Tighten to % and no more.", said.Mass(t.Pull))...)
			}
			out = append(out, finding.Tick{Under: finding.UnderTied, ID: "tie-" + t.ID, Says: says})
		}
	}
	return out
}
