package frame

import (
	"math"
	"slices"

	"gonum.org/v1/gonum/spatial/r3"

	"zygonos/core/lang/said"
	"zygonos/core/lang/scene"
	"zygonos/core/parts"
	"zygonos/core/plan"
	"zygonos/core/rig"
)

// Spaces on the sheets, m to their scale.
const (
	rowApart = 0.075
	tick     = 0.02
)

// across draws a distance along the sheet, down one up and down it.
func across(v *scene.View, u0, u1, level float64) {
	if u1 < u0 {
		u0, u1 = u1, u0
	}
	v.Shapes = append(v.Shapes,
		scene.Line("dimension", u0, level, u1, level),
		scene.Line("dimension", u0, level-tick, u0, level+tick),
		scene.Line("dimension", u1, level-tick, u1, level+tick),
		scene.Label("dimension", "middle", (u0+u1)/2, level+0.04, said.Say("%", said.Length(u1-u0))))
}

func down(v *scene.View, v0, v1, at float64) {
	v.Shapes = append(v.Shapes,
		scene.Line("dimension", at, v0, at, v1),
		scene.Line("dimension", at-tick, v0, at+tick, v0),
		scene.Line("dimension", at-tick, v1, at+tick, v1),
		scene.Label("dimension", "end", at-0.03, (v0+v1)/2, said.Say("%", said.Length(math.Abs(v1-v0)))))
}

// bounds sets a view's edges round what is drawn, with room for texts.
func bounds(v *scene.View, room float64) {
	v.Min, v.Max = scene.Point{math.Inf(1), math.Inf(1)}, scene.Point{math.Inf(-1), math.Inf(-1)}
	for _, s := range v.Shapes {
		for _, p := range s.Points {
			for k := range 2 {
				v.Min[k], v.Max[k] = math.Min(v.Min[k], p[k]-s.Radius-room), math.Max(v.Max[k], p[k]+s.Radius+room)
			}
		}
	}
}

// Sheet is the frame from above to be built by: every member with its mark, where each cross member's middle
// lies behind the front, the whole length and width, the ball before the front, and the diagonals, which are
// alike when it is square. Nil where nothing is drawn.
func Sheet(r *rig.Rig) *scene.View {
	if r.Drawn == nil || len(r.Drawn.Bars) == 0 {
		return nil
	}
	bars := r.Drawn.Bars
	at := projections["frame-plan"]
	v := &scene.View{ID: "frame-sheet", Title: said.Say("The frame, for building"), Shapes: []scene.Shape{}}
	marks := parts.Marks(bars)
	var stops []float64
	low, high := scene.Point{math.Inf(1), math.Inf(1)}, scene.Point{math.Inf(-1), math.Inf(-1)} // rails
	left := math.Inf(1)
	for i := range bars {
		b := &bars[i]
		if b.Length == 0 {
			continue
		}
		outline := hull(seen(b, at))
		v.Shapes = append(v.Shapes, scene.Shape{Form: scene.Polygon, Class: "member", Points: outline})
		m := at(labelled(b))
		v.Shapes = append(
			v.Shapes,
			scene.Label("mark", "middle", m[0], m[1], said.Say("%", said.Piece{Text: marks[i]})),
		)
		for k := range b.Cuts {
			if hole, axis, ok := b.HoleAt(&b.Cuts[k].Cut); ok && math.Abs(b.Axes[axis].Z) > 0.7 &&
				b.Cuts[k].Cut.What == plan.CutHole {
				p := at(hole)
				v.Shapes = append(v.Shapes, scene.Disc("hole", p[0], p[1], float64(b.Cuts[k].Cut.Size)/2))
			}
		}
		if b.Member.Role == plan.RoleCross && math.Abs(b.Axes[0].Y) > 0.9 {
			stops = append(stops, b.Middle().X)
		}
		for _, p := range outline {
			left = math.Min(left, p[0])
			if b.Member.Role == plan.RoleRail || b.Member.Role == plan.RoleCross {
				for k := range 2 {
					low[k], high[k] = math.Min(low[k], p[k]), math.Max(high[k], p[k])
				}
			}
		}
	}
	if math.IsInf(low[0], 1) {
		low, high = scene.Point{left, -0.5}, scene.Point{left + 1, 0.5}
	}
	slices.Sort(stops)
	stops = slices.CompactFunc(stops, func(a, b float64) bool { return math.Abs(b-a) < 1e-3 })
	level := high[1] + rowApart
	for _, x := range stops { // each from the front edge, as one tapes along a rail
		if x-low[0] > 1e-3 {
			across(v, low[0], x, level)
			level += rowApart
		}
	}
	across(v, low[0], high[0], level)
	level += rowApart
	if r.DeckFront != nil {
		x := -r.DeckFront.Nominal
		v.Shapes = append(v.Shapes, scene.Disc("ball", x, 0, 0.025))
		across(v, x, low[0], level)
		left = math.Min(left, x)
	}
	down(v, low[1], high[1], high[0]+0.3)
	diagonal := math.Hypot(high[0]-low[0], high[1]-low[1])
	v.Shapes = append(
		v.Shapes,
		scene.Line(
			"diagonal",
			low[0],
			low[1],
			high[0],
			high[1],
		),
		scene.Line("diagonal", low[0], high[1], high[0], low[1]),
		scene.Label(
			"note",
			"start",
			left,
			low[1]-0.1,
			said.Say("Both diagonals %: then it is square.", said.Length(diagonal)),
		),
	)
	bounds(v, 0.12)
	v.Sense()
	return v
}

// PieceSheet is one member to be marked out by: from its side and from above, its ends as they leave the
// saw, each notch and hole by its distance from where the member begins. Nil where there is no such member.
func PieceSheet(r *rig.Rig, id string) *scene.View {
	if r.Drawn == nil {
		return nil
	}
	bars := r.Drawn.Bars
	at := slices.IndexFunc(bars, func(b parts.FrameBar) bool { return b.ID == id })
	if at < 0 || bars[at].Length == 0 {
		return nil
	}
	b := &bars[at]
	ends := parts.FrameEnds(bars, parts.FrameTouches(bars))[at]
	mark := parts.Marks(bars)[at]
	v := &scene.View{
		ID: "frame-piece", Shapes: []scene.Shape{},
		Title: said.Say("%, %", said.Piece{Text: mark}, said.Name(b.Member.Name, "a member")),
	}
	level := 0.0
	for view, size := range [2]float64{b.High, b.Wide} { // from its side, from above
		half := size / 2
		mid := level + half
		slant := [2]float64{ends[0].Rise, ends[1].Rise}
		if view == 1 {
			slant = [2]float64{ends[0].Flat, ends[1].Flat}
		}
		// own z up the sheet; own y down it, as the frame is seen from above
		up := [2]float64{1, -1}[view]
		corner := func(end int, s float64) scene.Point { // s = ±1: the upper and the lower edge of the sheet
			x, off := 0.0, s*up*half*math.Tan(slant[end])
			if end == 1 {
				x, off = b.Length, -off
			}
			return scene.Point{x + off, mid - s*half}
		}
		v.Shapes = append(v.Shapes, scene.Shape{
			Form: scene.Polygon, Class: "member",
			Points: []scene.Point{corner(0, 1), corner(1, 1), corner(1, -1), corner(0, -1)},
		})
		row := mid + half + rowApart
		for k := range b.Cuts {
			c := &b.Cuts[k]
			axis, sign, ok := b.Face(c.Cut.Face)
			if !ok {
				continue
			}
			x := float64(c.Cut.At)
			hole, _, _ := b.HoleAt(&c.Cut)
			own := r3.Dot(r3.Sub(hole, b.At(x)), b.Axes[3-axis])
			side := (axis == 1) == (view == 0) // this view looks along the face's normal
			switch {
			case c.Cut.What == plan.CutHole && side:
				v.Shapes = append(v.Shapes, scene.Disc("hole", x, mid-up*own, float64(c.Cut.Size)/2))
			case c.Cut.What == plan.CutNotch && !side:
				edge := mid - up*sign*half
				v.Shapes = append(
					v.Shapes,
					scene.Rect("notch", "", c.From, math.Min(edge, edge+up*sign*float64(c.Cut.Size)),
						c.To, math.Max(edge, edge+up*sign*float64(c.Cut.Size))),
				)
			default:
				continue
			}
			across(v, 0, x, row)
			v.Shapes = append(
				v.Shapes,
				scene.Label("note", "start", math.Max(x, x/2+0.12)+0.04, row+0.04, cutText(&c.Cut)),
			)
			row += rowApart
		}
		if view == 0 {
			across(v, 0, b.Length, row)
			row += rowApart
		}
		level = row + rowApart
	}
	note := append(parts.SectionText(b.Member.Profile), said.Say("; it begins ")...)
	note = append(note, ends[0].Text()...)
	note = append(note, said.Say(", ends ")...)
	note = append(note, ends[1].Text()...)
	if extra := ends[0].Extra + ends[1].Extra; extra > 1e-4 {
		note = append(note, said.Say("; % from long point to long point", said.Length(b.Length+extra))...)
	}
	v.Shapes = append(v.Shapes,
		scene.Label("note", "start", 0, level, said.Say("Above as seen from its side, below as seen from above.")),
		scene.Label("note", "start", 0, level+rowApart, note))
	bounds(v, 0.1)
	v.Sense()
	return v
}

// cutText says what is cut.
func cutText(c *plan.MemberCut) said.Sentence {
	if c.What == plan.CutHole {
		return said.Say("hole of %", said.Length(c.Size))
	}
	return said.Say("notch % deep, % long", said.Length(c.Size), said.Length(c.Long))
}
