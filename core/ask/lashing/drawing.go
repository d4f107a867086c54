package lashing

import (
	"strings"

	"zygonos/core/lang/said"
	"zygonos/core/lang/scene"
	"zygonos/core/plan"
	"zygonos/core/rig"
)

// Layer draws straps as they run, from the side and from above; from above their ends may
// be let go at other tie points.
func Layer(r *rig.Rig) (side, above []scene.Shape, hooks []scene.Target) {
	points := plan.Ordered(r.Trailer.TiePoints, func(t plan.TiePoint) int { return t.Order })
	front, _ := r.Deck()
	for _, id := range points {
		at, ok := point(r, id)
		if !ok || at[0] < front-5 {
			continue
		}
		side = append(side, scene.Disc("tie-point", at[0], -at[2], 0.03))
		above = append(above, scene.Disc("tie-point", at[0], at[1], 0.03))
	}
	loads := Loads(r)
	for i := range loads {
		for k := range loads[i].Ties {
			t := &loads[i].Ties[k]
			for n, e := range t.Ends {
				path := t.Path + [2]string{"/from", "/to"}[n]
				if !strings.Contains(e.PointID, ".") { // not round a rack's bar
					grip := scene.Disc("strap-end", e.Point[0], e.Point[1], 0.06)
					grip.Thing = path
					above = append(above, grip)
					for _, id := range points {
						if at, ok := point(r, id); ok && id != e.PointID {
							hooks = append(
								hooks,
								scene.Target{
									Thing: path,
									Min:   scene.Point{at[0] - hookNear, at[1] - hookNear},
									Max:   scene.Point{at[0] + hookNear, at[1] + hookNear},
									Label: said.Say(
										"%",
										said.Piece{Text: PointName(r, id)},
									),
									Moves: []scene.Move{{Path: path, To: id}},
								},
							)
						}
					}
				}
				way := []Vector{e.Hold, e.Toward}
				if t.Over { // from its top edge, where it runs down its side first
					way = append([]Vector{{e.Hold[0], e.Hold[1], loads[i].Item.Top}}, way...)
				}
				for k, to := range append(way[1:], e.Point) {
					from := way[k]
					if to == from {
						continue
					}
					run := [2]scene.Shape{
						scene.Line("strap", from[0], -from[2], to[0], -to[2]),
						scene.Line("strap", from[0], from[1], to[0], to[1]),
					}
					run[0].Thing, run[1].Thing = t.Path, t.Path
					side, above = append(side, run[0]), append(above, run[1])
				}
			}
			if t.Over {
				across := scene.Line(
					"strap",
					t.Ends[0].Hold[0],
					t.Ends[0].Hold[1],
					t.Ends[1].Hold[0],
					t.Ends[1].Hold[1],
				)
				across.Thing = t.Path
				above = append(above, across)
			}
		}
	}
	return side, above, hooks
}

// hookNear is how near to a tie point a strap's end hooks in, m.
const hookNear = 0.12
