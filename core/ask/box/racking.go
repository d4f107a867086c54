package box

import (
	"math"

	"zygonos/core/facts/norms"
	"zygonos/core/lang/finding"
	"zygonos/core/lang/quantity"
	"zygonos/core/lang/said"
	"zygonos/core/plan"
	"zygonos/core/sums/frame3d"
)

// Figures of racking (practice, C).
const (
	leans    = 0.01 // of its height that it may lean
	knee     = 0.25 // of the height, a short brace's legs
	pressure = 20.0 // m/s of wind on it
	skinWith = 0.5  // of a skin's shear stiffness, by its screws
)

// Racked is how far a body's top leans and what its sticks bear with a way to brace it.
type Racked struct {
	Leans  float64 // m
	Stress float64 // Pa
	Falls  bool    // nothing holds it upright
}

// push is the force on its top, N: half of 20 m/s of wind on its side, and half of its own weight at 0.5 g.
func (b *Body) push() float64 {
	return air/2*broad*pressure*pressure*b.area()/2 + aside*b.mass.High*quantity.Gravity/2
}

// pushAlong is the force on its top under full braking, N: half of its own weight at 0.8 g.
func (b *Body) pushAlong() float64 { return ahead * b.mass.High * quantity.Gravity / 2 }

// Rack pushes the body's top aside: its four corner posts on pins, rails round the top; corners of metal are stiff, others
// hinged. In each end a short brace at both corners, a diagonal, or a skin that is fixed all around, as a diagonal of the
// same stiffness: G·t·L/h of a panel, half of it by its screws.
func (b *Body) Rack(way plan.Bracing) Racked {
	ends := [2]bool{!b.b.OpenFront, !b.b.OpenRear && !b.b.RampDoor && b.b.Leaves == 0} // a door braces nothing
	return b.rack(way, float64(b.b.Long), float64(b.b.Wide), b.push(), ends)
}

// RackAlong pushes it forward: the same with its sides for ends.
func (b *Body) RackAlong(way plan.Bracing) Racked {
	return b.rack(way, float64(b.b.Wide), float64(b.b.Long), b.pushAlong(), [2]bool{true, true})
}

// rack pushes it across w, its frames l apart; panels says which of them a skin closes. Under a roof with a skin one that is
// open leans on the other: roof and sides are panels too.
func (b *Body) rack(way plan.Bracing, l, w, push float64, panels [2]bool) Racked {
	h := float64(b.b.High)
	s := b.bar
	shear := b.of.Modulus / 2.6
	if b.of.Timber {
		shear = b.of.Modulus / 16
	}
	m := frame3d.Model{}
	node := func(x, y, z float64) int {
		m.Nodes = append(m.Nodes, frame3d.Vec{X: x, Y: y, Z: z})
		return len(m.Nodes) - 1
	}
	soft := func(e *frame3d.End) { *e = frame3d.Hinge() }
	bar := func(from, to int, pin [2]bool) {
		e := frame3d.Member{
			From: from, To: to, Area: s.Area, Iy: s.Iy, Iz: s.Iz, It: s.Iy + s.Iz, E: b.of.Modulus, G: shear,
		}
		for i := range pin {
			if pin[i] {
				soft(&e.Ends[i])
			}
		}
		m.Members = append(m.Members, e)
	}
	hinged := b.of.Weld == 0 // timber and plastic are not welded
	var feet, tops [2][2]int
	for end, x := range [2]float64{0, l} {
		var foot, top, low, in [2]int
		for i, y := range [2]float64{-w / 2, w / 2} {
			foot[i] = node(x, y, 0)
			m.Supports = append(
				m.Supports,
				frame3d.Support{Node: foot[i], Held: [6]bool{true, true, true, false, false, true}},
			) // no spin
			top[i] = node(x, y, h)
		}
		feet[end], tops[end] = foot, top
		if way == plan.BracedCorners {
			leg := math.Min(knee*h, w/3)
			for i, y := range [2]float64{-w / 2, w / 2} {
				low[i] = node(x, y, h-leg)
				in[i] = node(x, y-math.Copysign(leg, y), h)
				bar(foot[i], low[i], [2]bool{})
				bar(low[i], top[i], [2]bool{false, hinged})
				bar(low[i], in[i], [2]bool{true, true})
			}
			bar(top[0], in[0], [2]bool{hinged, false})
			bar(in[0], in[1], [2]bool{})
			bar(in[1], top[1], [2]bool{false, hinged})
		} else {
			for i := range foot {
				bar(foot[i], top[i], [2]bool{false, hinged})
			}
			bar(top[0], top[1], [2]bool{hinged, hinged})
		}
		area := 0.0
		switch way {
		case plan.BracedDiagonals:
			area = s.Area
		case plan.BracedSkin:
			if panels[end] {
				area = b.panel(w, h)
			}
		}
		if area > 0 {
			d := frame3d.Member{
				From: foot[0], To: top[1], Area: area, Iy: s.Iy, Iz: s.Iz, It: s.Iy + s.Iz, E: b.of.Modulus, G: shear,
			}
			soft(&d.Ends[0])
			soft(&d.Ends[1])
			m.Members = append(m.Members, d)
		}
	}
	// along, the sides' rails hold the ends apart; they are held there so that the question is across alone
	leans := way == plan.BracedSkin && b.b.Roof && panels != [2]bool{true, true}
	if leans {
		b.tube(&m, feet, tops, l, w)
	}
	for i := range m.Nodes {
		if m.Nodes[i].Z > 0 && !leans {
			m.Supports = append(m.Supports, frame3d.Support{Node: i, Held: [6]bool{frame3d.X: true}})
		}
	}
	solver, err := frame3d.New(&m)
	if err != nil {
		return Racked{Falls: true}
	}
	c := frame3d.Case{}
	for i := range m.Nodes {
		if m.Nodes[i].Z == h && math.Abs(math.Abs(m.Nodes[i].Y)-w/2) < 1e-9 {
			c.Nodes = append(c.Nodes, frame3d.NodeLoad{Node: i, Force: frame3d.Vec{Y: push / 4}})
		}
	}
	o := solver.Solve(&c)
	out := Racked{}
	for i := range m.Nodes {
		out.Leans = math.Max(out.Leans, math.Abs(o.Moved[i][frame3d.Y]))
	}
	for i := range m.Members {
		if m.Members[i].Ends[0].Loose[frame3d.RY] && m.Members[i].Ends[1].Loose[frame3d.RY] {
			continue // braces: by their force alone, far less
		}
		for _, in := range o.Along(i) {
			out.Stress = math.Max(out.Stress, math.Abs(in.N)/s.Area+math.Abs(in.My)/s.Wy+math.Abs(in.Mz)/s.Wz)
		}
	}
	return out
}

// panel is the section, m², of a diagonal of a field w wide and h high as stiff as the skin: EA/d·cos² = G·t·w/h.
func (b *Body) panel(w, h float64) float64 {
	d := math.Hypot(w, h)
	return b.skinShear() * w / h * d / (w * w / d / d) / b.of.Modulus
}

// tube adds the panels of both sides and of the roof, and the rails between the ends.
func (b *Body) tube(m *frame3d.Model, feet, tops [2][2]int, l, w float64) {
	h := float64(b.b.High)
	add := func(from, to int, area float64) {
		e := frame3d.Member{
			From: from, To: to, Area: area, Iy: b.bar.Iy, Iz: b.bar.Iz, It: b.bar.Iy + b.bar.Iz,
			E: b.of.Modulus, G: b.of.Modulus / 2.6, Ends: [2]frame3d.End{frame3d.Hinge(), frame3d.Hinge()},
		}
		m.Members = append(m.Members, e)
	}
	for i := range 2 {
		add(feet[0][i], tops[1][i], b.panel(l, h))
		add(tops[0][i], tops[1][i], b.bar.Area)
	}
	add(tops[0][0], tops[1][1], b.panel(w, l))
}

// corners says what its corners are taken to be.
func corners(weld float64) string {
	if weld > 0 {
		return "With corners that are welded stiff "
	}
	return "With hinged corners "
}

// atLeast is a lean as it is stated, rounded up to a millimetre.
func atLeast(m float64) float64 { return math.Max(0.001, m) }

// skinShear is G·t of its skin with its screws, N/m; zero without one.
func (b *Body) skinShear() float64 {
	if b.b.SkinThick == nil {
		return 0
	}
	g := 0.0
	switch b.b.Skin {
	case "plywood", "chipboard", "mdf":
		g = 0.5e9
	case "steel":
		g = 80e9
	case "aluminium":
		g = 26e9
	case "acrylic":
		g = 0.8e9
	}
	return skinWith * g * float64(*b.b.SkinThick)
}

// racking asks whether it stays square, and what braces or a skin bring.
func (b *Body) racking() (finding.Finding, bool) {
	f := b.base(CodeRacking, "Square under side push", "braced")
	h := float64(b.b.High)
	if b.bar == nil || h < tall {
		return f, false
	}
	way := b.b.Braced
	if way == plan.BracedSkin && b.skinShear() == 0 {
		return b.need(
			f,
			"skinThick",
			"a skin of sheets that can brace it",
			"Plywood or metal sheets; boards brace nothing.",
		), true
	}
	now, better := b.Rack(way), b.Rack(plan.BracedDiagonals)
	pushed := "a storm and half a g push its top % aside; it may lean %"
	if along := b.RackAlong(way); along.Falls || !now.Falls && along.Leans > now.Leans {
		now, better = along, b.RackAlong(plan.BracedDiagonals)
		pushed = "full braking pushes its top % forward; it may lean %"
	}
	f.Source = norms.Practice("posts on pins, 20 m/s of wind and half a g of itself on its top")
	if way == "" {
		way = plan.BracedNot
	}
	switch {
	case now.Falls:
		f.Outcome = finding.Fails
		f.Says = said.Say(
			"Without a brace its hinged corners fold up. Put a diagonal in each end and side, or fix a skin all around.",
		)
		return f, true
	default:
		f.AtMost(quantity.KindLength, now.Leans, leans*h)
		f.Says = said.Say(
			corners(b.of.Weld)+pushed,
			said.Length(atLeast(now.Leans)),
			said.Length(leans*h),
		)
		if now.Stress > b.of.Working() {
			f.Outcome = finding.Fails
			f.Says = append(f.Says, said.Say("; its sticks carry %, more than the % they may carry",
				said.Of(quantity.KindStress, now.Stress), said.Of(quantity.KindStress, b.of.Working()))...)
		}
		f.Says = append(f.Says, said.Say(".")...)
	}
	if way != plan.BracedDiagonals && !better.Falls && better.Leans < now.Leans/2 && now.Leans > 0.001 {
		f.Says = append(
			f.Says,
			said.Say(" With a diagonal in each end and side %.", said.Length(atLeast(better.Leans)))...)
	}
	if s := b.skinShear(); way != plan.BracedSkin && s > 0 && now.Leans > 0.001 {
		skin, along := b.Rack(plan.BracedSkin), b.RackAlong(plan.BracedSkin)
		if !skin.Falls && !along.Falls {
			f.Says = append(
				f.Says,
				said.Say(
					" With its skin fixed all around %.",
					said.Length(atLeast(max(skin.Leans, along.Leans))),
				)...)
		}
	}
	return f, true
}

// tall is a body from which racking is looked at, m; lower ones are sides.
const tall = 0.8
