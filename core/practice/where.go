package practice

import (
	"cmp"
	"fmt"
	"math/rand/v2"
	"slices"
	"strings"

	"zygonos/core/ask/lashing"
	"zygonos/core/facts/norms"
	"zygonos/core/lang/finding"
	"zygonos/core/lang/quantity"
	"zygonos/core/lang/said"
	"zygonos/core/lang/scene"
	"zygonos/core/plan"
	"zygonos/core/rig"
)

// way is how the same two straps may run: from the crate's edge to rings in the deck, as shares of the
// crate's length.
type way struct {
	letter, says string
	over         bool
	holds, rings [2]float64 // of the two straps: on the crate and in the deck, 0 its front, 1 its rear
}

// ways are those that are kept apart: over the top they press, leaning back they hold against braking,
// leaning ahead against pulling away.
var ways = []way{
	{
		"A",
		"A: both straight over it, a quarter from each end",
		true,
		[2]float64{0.25, 0.75},
		[2]float64{0.25, 0.75},
	},
	{"B", "B: one each side, from its front top edge back to the deck", false, [2]float64{0, 0}, [2]float64{1, 1}},
	{"C", "C: one each side, from its rear top edge ahead to the deck", false, [2]float64{1, 1}, [2]float64{0, 0}},
	{
		"D",
		"D: one each side, from the middle of its top edge straight down",
		false,
		[2]float64{0.5, 0.5},
		[2]float64{0.5, 0.5},
	},
}

// push is what a crate is to be held against, and why a way is the wrong one for it.
type push struct {
	direction, ask string // of lashing.Directions
	mistakes       map[string]string
}

const lessHere = "By the balance of forces another way holds more."

const onlyPress = "It only presses the crate down, and friction takes a share of that: a strap that leans against the push holds much more."

const lessAcross = "Less to the side: most of its pull goes along the trailer or down, and of the two only one tightens."

var pushes = []push{
	{
		"forward",
		"Which way do two straps hold this crate best when you brake?",
		map[string]string{
			"A": onlyPress,
			"C": "That keeps it from going back: as you brake the crate goes ahead, and these straps go slack.",
			"D": onlyPress,
		},
	},
	{
		"rearward",
		"Which way do two straps hold this crate best when you pull away uphill?",
		map[string]string{
			"A": onlyPress,
			"B": "That keeps it from going ahead: as you pull away the crate goes back, and these straps go slack.",
			"D": onlyPress,
		},
	},
	{"left", "Which way do two straps hold this crate best in a bend to the right?", map[string]string{
		"A": lessAcross, "B": lessAcross, "C": lessAcross, "D": lessAcross,
	}},
}

// whereCase asks where two straps go: the way that withstands most in the direction that is asked, by the
// balance of forces.
func whereCase(r *rand.Rand, level int, _ *plan.Plan) (made, bool) {
	t := throwRig(r)
	t.gross = 1500
	long := between(r, 0.8, 1.6, 0.1)
	mass := between(r, 150, 500, 10)
	t.crates = []crate{{mass, long, between(r, 0.1, 0.3, 0.05)}}
	if t.crates[0].at+long+0.1 > t.deckLong {
		return made{}, false
	}
	limit := among(r, 150.0, 230.0, 300.0, 450.0)
	asked := pushes[r.IntN(len(pushes))]
	type told struct {
		way
		g float64
	}
	var all []told
	var view *scene.View
	for _, w := range ways {
		p, ok := t.tied(limit, &w)
		if !ok {
			return made{}, false
		}
		g, ok := holds(p, asked.direction)
		if !ok {
			return made{}, false
		}
		all = append(all, told{w, g})
		if view == nil {
			if view = side(p, "t", "o"); view == nil {
				return made{}, false
			}
			view.Shapes = slices.DeleteFunc(view.Shapes, func(s scene.Shape) bool {
				return s.Class == "strap" || s.Class == "strap-end" || s.Class == "tie-point"
			})
		}
		c := t.crates[0]
		front, top := t.deckFront+c.at, deckUp+crateHigh
		for k := range 2 {
			from, to := front+c.long*w.holds[k], front+c.long*w.rings[k]
			view.Shapes = append(view.Shapes, scene.Line("strap", from, -top, to, -deckUp))
			if k == 0 || w.over {
				view.Shapes = append(view.Shapes,
					scene.Label("label", "middle", from, -top-0.09, said.Sentence{said.Piece{Text: w.letter}}))
			}
		}
	}
	slices.SortFunc(all, func(a, b told) int { return cmp.Compare(b.g, a.g) })
	apart := [Levels]float64{1.4, 1.2, 1.08}[level-1]
	if all[0].g < apart*all[1].g {
		return made{}, false
	}
	m := made{
		ask: said.Say(asked.ask),
		given: []said.Sentence{
			said.Say("The crate weighs %, is % long and % high, on a dry deck, with nothing against it.",
				said.Mass(mass), said.Length(long), said.Length(crateHigh)),
			said.Say("Both straps alike: working limit %.", said.Mass(limit)),
		},
		view: view,
	}
	for _, x := range all {
		m.choices = append(m.choices, choice{says: said.Say(x.says)})
		if n := len(m.choices); n > 1 {
			m.choices[n-1].mistake = said.Say(cmp.Or(asked.mistakes[x.letter], lessHere))
		}
		m.why = append(m.why, said.Say("%: % of its weight.",
			said.Piece{Text: x.letter}, said.Of(quantity.KindShare, x.g)))
	}
	m.why = append(m.why, said.Say(
		"It holds against a push of that size. Braking hard is % of the weight, pulling away or a bend %; a strap holds by leaning against it.",
		said.Of(quantity.KindShare, norms.Ask.Forward),
		said.Of(quantity.KindShare, norms.Ask.Sideways),
	))
	return m, true
}

// Sizes of every thrown rig, m.
const (
	deckUp    = 0.55
	crateHigh = 0.6
	crateHalf = 0.4 // of its width
)

// tied is the thrown rig with its crate held in a way by two ratchet straps.
func (t *thrown) tied(limit float64, w *way) (*plan.Plan, bool) {
	p, ok := t.plan()
	if !ok {
		return nil, false
	}
	c := t.crates[0]
	var points, ties []string
	ring := func(id string, back, right float64) {
		points = append(points, fmt.Sprintf(
			`"%s":{"order":1,"kind":"ring-welded","rating":2000,"at":{"back":%v,"right":%v}}`, id, back, right))
	}
	edge := t.deckWide / 2
	for k := range 2 {
		at, hold := c.at+c.long*w.rings[k], c.long*w.holds[k]
		if w.over {
			l, r := fmt.Sprintf("l%d", k), fmt.Sprintf("r%d", k)
			ring(l, at, -edge)
			ring(r, at, edge)
			ties = append(ties, fmt.Sprintf(
				`"s%d":{"order":%d,"load":"c1","strap":"s","from":"%s","to":"%s","hold":{"back":%v,"right":0,"up":%v}}`,
				k,
				k+1,
				l,
				r,
				hold,
				crateHigh,
			))
			continue
		}
		side := float64(2*k - 1)
		id := fmt.Sprintf("p%d", k)
		ring(id, at, side*edge)
		ties = append(ties, fmt.Sprintf(
			`"s%d":{"order":%d,"load":"c1","strap":"s","from":"%s","hold":{"back":%v,"right":%v,"up":%v}}`,
			k, k+1, id, hold, side*crateHalf, crateHigh))
	}
	p, err := plan.Apply(p, []finding.Op{
		{Op: "add", Path: "/straps", Value: raw(fmt.Sprintf(
			`{"s":{"order":1,"name":"Strap","kind":"ratchet","limit":%v,"length":6,"count":4}}`, limit))},
		{Op: "add", Path: "/trailers/t/tiePoints", Value: raw("{" + strings.Join(points, ",") + "}")},
		{Op: "add", Path: "/outings/o/layouts/t/lashings", Value: raw("{" + strings.Join(ties, ",") + "}")},
	})
	if err != nil {
		return nil, false
	}
	plan.Clean(p)
	return p, true
}

// holds is how much of its weight the crate withstands in a direction.
func holds(p *plan.Plan, direction string) (float64, bool) {
	r := rig.Resolve(p, "t", "o")
	if r == nil {
		return 0, false
	}
	_, tied := lashing.Statics(r)
	for i := range tied {
		for _, b := range tied[i].Bars {
			if b.Direction == direction && b.Known {
				return b.Has, true
			}
		}
	}
	return 0, false
}
