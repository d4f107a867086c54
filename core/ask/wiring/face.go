package wiring

import (
	"math"
	"strings"

	"zygonos/core/lang/said"
	"zygonos/core/lang/scene"
)

// PlugFace is the plug enlarged, its contacts with their numbers; what carries a current is filled.
type PlugFace struct {
	View scene.View    `json:"view"`
	Says said.Sentence `json:"says"` // from which side it is seen, and what of it is true to place
}

// carries is the current from which a contact is drawn as one that carries, A.
const carries = 0.02

// face draws the plug: a flat one's contacts stand in their row; a round one's in the order of their numbers, since makers
// mould the number beside each contact and the standards' places are not among the figures that are held here.
func (h *Harness) face(amps []PoleState) PlugFace {
	out := PlugFace{View: scene.View{ID: "plug", Title: said.Say("The trailer’s plug"), Shapes: []scene.Shape{}}}
	n := len(h.poles)
	kind := string(h.r.Trailer.Plug)
	flat := strings.HasPrefix(kind, "flat")
	at := func(i int) scene.Point {
		if flat {
			return scene.Point{float64(i) - float64(n-1)/2, 0}
		}
		a := 2*math.Pi*float64(i)/float64(n) - math.Pi/2
		r := math.Max(1.1, 0.5/math.Sin(math.Pi/float64(max(3, n)))*1.15)
		return scene.Point{r * math.Cos(a), r * math.Sin(a)}
	}
	low, high := scene.Point{math.Inf(1), math.Inf(1)}, scene.Point{math.Inf(-1), math.Inf(-1)}
	for i := range h.poles {
		p := at(i)
		for d := range p {
			low[d], high[d] = math.Min(low[d], p[d]-0.75), math.Max(high[d], p[d]+0.75)
		}
		class := "contact"
		if i < len(amps) && math.Abs(amps[i].Amps) > carries {
			class = "contact contact-on"
		}
		out.View.Shapes = append(out.View.Shapes, scene.Disc(class, p[0], p[1], 0.42),
			scene.Label("mark", "middle", p[0], p[1]+0.08, said.Say(h.poles[i].Number)))
	}
	shell := scene.Rect("shell", "", low[0], low[1], high[0], high[1])
	if !flat {
		shell = scene.Disc("shell", 0, 0, high[0])
	}
	out.View.Shapes = append([]scene.Shape{shell}, out.View.Shapes...)
	out.View.Min, out.View.Max = scene.Point{low[0] - 0.1, low[1] - 0.1}, scene.Point{high[0] + 0.1, high[1] + 0.1}
	out.Says = said.Say(
		"The plug, in the order of its numbers, not of its places: go by the number that is moulded beside each contact, on the plug’s face and on its wire side.",
	)
	if flat {
		out.Says = said.Say(
			"The plug from its front, its contacts in their row; from the wire side the row runs the other way. One contact stands bare: the earth.",
		)
		if kind != "flat-4" {
			out.Says = said.Say(
				"The plug from its front, its contacts in their row; from the wire side the row runs the other way. The numbers are moulded beside them.",
			)
		}
	}
	return out
}
