package frame

import (
	"math"
	"slices"

	"zygonos/core/lang/finding"
	"zygonos/core/lang/quantity"
	"zygonos/core/lang/said"
	"zygonos/core/parts"
	"zygonos/core/sums/frame3d"
)

// loadCase is one way in which the frame is used.
type loadCase struct {
	id   string
	name said.Sentence
	why  finding.Source
	// how the frame stands: supports beside or instead of the wheels
	stand func(m *model) []frame3d.Support
	load  func(l *loader, all []body, high bool) bool
}

// Figures of the cases (confidence C, practice, but for braking and bends: the load restraint guides').
const (
	brakes   = 0.8   // g
	bends    = 0.5   // g
	stander  = 100.0 // kg, one who stands on a rear corner
	pusher   = 500.0 // N, by hand at the coupling
	scrubs   = 0.8   // of a wheel's load, sideways in a tight turn
	lifted   = 0.100 // m, one wheel of two axles on a kerb
	jackSide = 0.3   // m behind the axle, where a jack goes under the rail
)

var (
	practice = finding.Source{
		Title: "Practice for light trailers", Clause: "factor of the load case", AsOf: "2026", Confidence: "C",
	}
	restraint = finding.Source{
		Title: "EN 12195-1", Clause: "0.8 g forward, 0.5 g to the side", AsOf: "2010", Confidence: "B",
	}
)

// level is the laden trailer that stands still.
var level = loadCase{
	id: "level", name: said.Say("laden, standing level"), why: practice,
	load: func(l *loader, all []body, high bool) bool { return l.weigh(all, still(1), high) },
}

// cases are those of a rig, the quiet one first.
func cases(m *model) []loadCase {
	k := m.r.Shock()
	out := []loadCase{level, {
		id: "bump", name: said.Say("bump on both wheels, % times the weight", said.Count(int(math.Round(k)))), why: practice,
		load: func(l *loader, all []body, high bool) bool { return l.weigh(all, still(k), high) },
	}}
	if len(m.axles) == 1 {
		for _, side := range []struct {
			sign float64
			name string
		}{{-1, "left"}, {1, "right"}} {
			out = append(out, loadCase{
				id: "bump-" + side.name, name: said.Say("bump on the " + side.name + " wheel alone"), why: practice,
				load: func(l *loader, all []body, high bool) bool {
					return l.weigh(all, l.struck(all, side.sign, k, high), high)
				},
			})
		}
	} else if len(m.axles) > 1 {
		out = append(out, loadCase{
			id: "kerb", name: said.Say("one wheel % up on a {kerb}", said.Length(lifted)), why: practice,
			load: func(l *loader, all []body, high bool) bool {
				l.c.Moves = append(l.c.Moves, frame3d.Move{Support: l.wheels[0][1], Dir: frame3d.Z, By: lifted})
				return l.weigh(all, still(1), high)
			},
		}, loadCase{
			id: "scrub", name: said.Say("tight turn, the axles scrub against each other"), why: practice,
			load: (*loader).scrub,
		})
	}
	out = append(out, loadCase{
		id: "brake", name: said.Say("full braking"), why: restraint,
		load: func(l *loader, all []body, high bool) bool {
			return l.weigh(
				all,
				func(vec) vec { return vec{X: -brakes * quantity.Gravity, Z: -quantity.Gravity} },
				high,
			)
		},
	})
	for _, side := range []struct {
		sign float64
		name string
	}{{-1, "right"}, {1, "left"}} {
		out = append(out, loadCase{
			id: "bend-" + side.name, name: said.Say("hard bend to the " + side.name), why: restraint,
			load: func(l *loader, all []body, high bool) bool {
				return l.weigh(all, func(vec) vec {
					return vec{Y: side.sign * bends * quantity.Gravity, Z: -quantity.Gravity}
				}, high)
			},
		})
	}
	out = append(out, loadCase{
		id: "jack", name: said.Say("on a jack under the right rail"), why: practice, stand: onJack,
		load: func(l *loader, all []body, high bool) bool { return l.weigh(all, still(1), high) },
	}, loadCase{
		id: "corner", name: said.Say("% standing on a rear corner", said.Mass(stander)), why: practice,
		load: func(l *loader, all []body, high bool) bool {
			ok := l.weigh(unladen(all), still(1), high)
			return l.press(
				vec{X: l.r.DeckLength() - 0.05, Y: l.r.DeckWidth()/2 - 0.05},
				vec{Z: -stander * quantity.Gravity},
			) &&
				ok
		},
	}, loadCase{
		id: "push", name: said.Say("{coupling} pushed sideways by hand"), why: practice, stand: unhitched,
		load: func(l *loader, all []body, high bool) bool {
			l.c.Nodes = append(l.c.Nodes, frame3d.NodeLoad{Node: 0, Force: vec{Y: pusher}})
			return l.weigh(unladen(all), still(1), high)
		},
	})
	if c, ok := onTail(m); ok {
		out = append(out, c)
	}
	return append(append(out, tipped(m)...), pulls(m)...)
}

// struck is the field of a bump on one wheel: on three points, ball and two wheels, the blow lifts the rig
// about the ball and rolls it. With the wheel's load k times, the blow F = (k − 1)·R, at (x, y) of the wheel
// behind and beside the ball, is balanced by the inertia of every mass at z̈ = p·x + q·y:
//
//	p·Σm·x² + q·Σm·x·y = F·x_w      p·Σm·x·y + q·Σm·y² = F·y_w
//
// so that the other wheel bears no more than at rest, and the ball what is left of the blow.
func (l *loader) struck(all []body, sign, k float64, high bool) field {
	front := l.r.DeckFront.Nominal
	var xx, xy, yy, mass, mx, my float64
	count := func(at vec, m, sx, sy float64) {
		x, y := at.X+front, at.Y
		xx += m * (x*x + sx)
		xy += m * x * y
		yy += m * (y*y + sy)
		mass += m
		mx += m * x
		my += m * y
	}
	extra := 1 + parts.Extra(l.r.Trailer.Frame)
	for i := range l.bars {
		b := &l.bars[i]
		d := b.Length * b.Length / 12
		count(b.Middle(), b.Each*extra, d*b.Axes[0].X*b.Axes[0].X, d*b.Axes[0].Y*b.Axes[0].Y)
	}
	for i := range all {
		o := &all[i]
		m := o.mass.Nominal
		if high {
			m = o.mass.High
		}
		count(o.centre, m, 0, 0) // the field at its centre pushes it as a whole
	}
	if len(l.hubs) == 0 {
		return still(k)
	}
	half := math.Abs(l.m.Nodes[l.hubs[0][0]].Y)
	xw, yw := l.axles[0]+front, sign*half
	if !(mass > 0) || xw <= 0 || half <= 0 {
		return still(k)
	}
	// what the wheel bears at rest, kg, by the lever
	rest := mx/xw/2 + sign*my/(2*half)
	f := (k - 1) * math.Max(0, rest) // kg; z̈ comes out in g
	det := xx*yy - xy*xy
	if !(det > 1e-9*xx*xx) {
		return still(k)
	}
	p, q := f*(xw*yy-yw*xy)/det, f*(yw*xx-xw*xy)/det
	return func(at vec) vec { return vec{Z: -quantity.Gravity * (1 + p*(at.X+front) + q*at.Y)} }
}

// scrub pushes the front wheels one way and the rear ones the other.
func (l *loader) scrub(all []body, high bool) bool {
	ok := l.weigh(all, still(1), high)
	sum := 0.0
	for i := range all {
		sum += all[i].mass.High
	}
	each := (sum + l.r.Drawn.Mass) / float64(2*len(l.hubs)) * quantity.Gravity * scrubs
	for i, h := range l.hubs {
		if i > 0 && i < len(l.hubs)-1 {
			continue
		}
		sign := 1.0
		if i == 0 {
			sign = -1
		}
		for side := range h { // at the ground, under the hub
			foot := l.m.Supports[l.wheels[i][side]].Node
			l.c.Nodes = append(l.c.Nodes, frame3d.NodeLoad{Node: foot, Force: vec{Y: sign * each}})
		}
	}
	return ok
}

// unhitched leaves the coupling free to the side: the wheels hold it, chocked.
func unhitched(m *model) []frame3d.Support {
	out := slices.Clone(m.m.Supports)
	out[0].Held[frame3d.Y] = false
	for _, w := range m.wheels {
		for _, s := range w {
			out[s].Held[frame3d.X], out[s].Held[frame3d.Y] = true, true
			out[s].Spring[frame3d.Y] = 0
		}
	}
	return out
}

// onJack takes the right wheels off the ground and stands the rail behind the axle on a jack; nil where
// there is no rail.
func onJack(m *model) []frame3d.Support {
	at := m.jackPlace()
	if at < 0 {
		return nil
	}
	out := slices.Clone(m.m.Supports)
	for _, w := range m.wheels {
		out[w[1]].Held[frame3d.Z] = false
		out[w[1]].Spring[frame3d.Y] = 0
	}
	return append(out, frame3d.Support{Node: at, Held: [6]bool{frame3d.Z: true}})
}

// jackPlace is the joint of a right rail that is nearest to where a jack goes; −1 where there is none.
func (m *model) jackPlace() (node int) {
	node = -1
	if len(m.axles) == 0 {
		return node
	}
	want, best := m.axles[len(m.axles)-1]+jackSide, math.Inf(1)
	for i := range m.bars {
		r := &m.bars[i]
		if math.Abs(r.Axes[0].X) < 0.9 || r.Middle().Y < 0.05 {
			continue
		}
		for _, p := range m.places[i] {
			if d := math.Abs(r.At(p.at).X - want); d < best {
				best, node = d, p.node
			}
		}
	}
	return node
}
