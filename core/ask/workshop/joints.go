package workshop

import (
	"cmp"
	"fmt"
	"math"
	"slices"
	"strings"

	"gonum.org/v1/gonum/spatial/r3"

	"zygonos/core/facts/norms"
	"zygonos/core/lang/finding"
	"zygonos/core/lang/quantity"
	"zygonos/core/lang/said"
	"zygonos/core/lang/scene"
	"zygonos/core/parts"
	"zygonos/core/plan"
	"zygonos/core/rig"
)

// FrameJoints are what holds a drawn frame together: the order in which it is welded, its bolts, how they are tightened.
type FrameJoints struct {
	Welds  []WeldPlace     `json:"welds"`
	View   *scene.View     `json:"view,omitempty"` // the frame from above, the welds by their numbers
	Bolts  []BoltRow       `json:"bolts"`
	Sound  []TightenStep   `json:"sound"`         // the order of tightening, from the middle outward
	Free   []string        `json:"free"`          // joints that must stay free
	Odd    []said.Sentence `json:"odd,omitempty"` // bolts that nobody sells
	How    []Procedure     `json:"how"`
	Sleeve said.Sentence   `json:"sleeve,omitempty"`
}

// WeldPlace is a joint in the order in which it is welded.
type WeldPlace struct {
	Says said.Sentence `json:"says"`
	At   [2]float64    `json:"at"` // behind the front board and to the right, m
}

// BoltRow are bolts of one size and length.
type BoltRow struct {
	Name   said.Sentence   `json:"name"` // "M10 × 90 mm, 8.8"
	Count  int             `json:"count"`
	Where  said.Sentence   `json:"where"`
	Long   finding.Measure `json:"long"`
	Grip   finding.Measure `json:"grip"`
	Flats  finding.Measure `json:"flats"` // of the spanner
	Drill  finding.Measure `json:"drill"` // of the hole
	Head   string          `json:"head"`  // which way it faces
	Single bool            `json:"single,omitempty"`

	key    string
	thread norms.Thread
	grade  norms.Bolt
	grip   float64
}

// TightenStep is a bolted end in the order of tightening.
type TightenStep struct {
	Says   said.Sentence    `json:"says"`
	Torque *finding.Measure `json:"torque,omitempty"`
	// without a torque wrench: so many kg at the end of a spanner so long
	Pull *finding.Measure `json:"pull,omitempty"`
	Arm  *finding.Measure `json:"arm,omitempty"`
}

// joint is where two members meet.
type joint struct {
	at    r3.Vec
	a, b  int
	kind  plan.MemberJoint
	end   int     // the bar whose end it is, of a bolted one
	which int     // its beginning (0) or its end (1)
	lap   bool    // they lie on each other; else an end meets a face
	thick float64 // through both, m, of a lap
}

// nearEnd is how near a touch is to a member's end to be that end's joint, m.
const nearEnd = 0.08

// jointsOf are a drawn frame's joints: of a touch at a member's end, as that end is joined, else a weld.
func jointsOf(d *rig.Drawn) (out []joint) {
	for _, t := range d.Touches {
		a, b := &d.Bars[t.A], &d.Bars[t.B]
		j := joint{at: a.At(t.AtA), a: t.A, b: t.B, kind: plan.JointWeld, end: -1}
		for _, x := range []struct {
			bar int
			at  float64
		}{{t.A, t.AtA}, {t.B, t.AtB}} {
			bar := &d.Bars[x.bar]
			kind, which := plan.JointWeld, 0
			switch {
			case x.at < nearEnd && x.at <= bar.Length/2:
				kind = bar.Member.FromJoint
			case x.at > bar.Length-nearEnd:
				kind, which = bar.Member.ToJoint, 1
			}
			if kind == plan.JointBolt && bar.Member.Bolts > 0 || kind == plan.JointHinge {
				j.kind, j.end, j.which = kind, x.bar, which
			}
		}
		way := r3.Sub(b.At(t.AtB), a.At(t.AtA))
		if n := r3.Norm(way); n > 1e-6 {
			n := r3.Scale(1/n, way)
			j.lap = math.Abs(r3.Dot(n, a.Axes[0])) < 0.3 && math.Abs(r3.Dot(n, b.Axes[0])) < 0.3
			j.thick = 2 * t.Across
		}
		out = append(out, j)
	}
	return out
}

// heatNear is how much the distance from the last weld counts against the balance about the middle.
const heatNear = 0.25

// weldOrder puts places in the order in which they are welded: the next one leaves the sum of all places about their middle
// least, less a quarter of its distance from the last one, so that heat and pull balance. Stated in
// docs/method/workshop.md.
func weldOrder(at []r3.Vec) (order []int) {
	if len(at) == 0 {
		return nil
	}
	var middle r3.Vec
	for _, p := range at {
		middle = r3.Add(middle, r3.Scale(1/float64(len(at)), p))
	}
	left := make([]bool, len(at))
	var sum, last r3.Vec
	for range at {
		best, score := -1, math.Inf(1)
		for i, p := range at {
			if left[i] {
				continue
			}
			s := r3.Norm(r3.Add(sum, r3.Sub(p, middle)))
			if len(order) > 0 {
				s -= heatNear * r3.Norm(r3.Sub(p, last))
			} else {
				s = -r3.Norm(r3.Sub(p, middle)) // the first is an outermost corner
			}
			if s < score-1e-9 {
				best, score = i, s
			}
		}
		left[best] = true
		order = append(order, best)
		sum, last = r3.Add(sum, r3.Sub(at[best], middle)), at[best]
	}
	return order
}

// between names a joint by its two members.
func between(d *rig.Drawn, j *joint) said.Sentence {
	name := func(i int) said.Piece { return said.Name(d.Bars[i].Member.Name, "a member") }
	return said.Say("% – %", name(j.a), name(j.b))
}

// Joints are those of a rig's drawn frame; without one only what holds for every trailer.
func Joints(r *rig.Rig) *FrameJoints {
	out := &FrameJoints{
		Welds: []WeldPlace{},
		Bolts: []BoltRow{},
		Sound: []TightenStep{},
		Free:  []string{},
		How:   procedures(r),
	}
	if r == nil {
		return out
	}
	out.Free = free(r)
	out.Sleeve = sleeveOf(r)
	if r.Drawn == nil {
		return out
	}
	d := r.Drawn
	joints := jointsOf(d)
	var places []r3.Vec
	var which []int
	for i := range joints {
		if joints[i].kind == plan.JointWeld {
			places, which = append(places, joints[i].at), append(which, i)
		}
	}
	for _, k := range weldOrder(places) {
		j := &joints[which[k]]
		out.Welds = append(out.Welds, WeldPlace{between(d, j), [2]float64{j.at.X, j.at.Y}})
	}
	joints = bolted(joints)
	out.Bolts, out.Odd = boltRows(d, joints)
	out.Sound = tightening(d, joints)
	if len(out.Welds) > 0 {
		out.View = weldView(d, out.Welds)
	}
	return out
}

// bolted are the joints in which each bolted end stands once: an end that touches two members has its bolts in one of them,
// the one that it lies on.
func bolted(joints []joint) (out []joint) {
	at := map[[2]int]int{}
	for _, j := range joints {
		if j.kind == plan.JointBolt {
			key := [2]int{j.end, j.which}
			if i, twice := at[key]; twice {
				if j.lap && !out[i].lap {
					out[i] = j
				}
				continue
			}
			at[key] = len(out)
		}
		out = append(out, j)
	}
	return out
}

// boltRows are the bolts by thread, grade and length; odd are those for which there is no thread or no length.
func boltRows(d *rig.Drawn, joints []joint) (rows []BoltRow, odd []said.Sentence) {
	rows = []BoltRow{}
	for i := range joints {
		j := &joints[i]
		if j.kind != plan.JointBolt {
			continue
		}
		m := &d.Bars[j.end].Member
		t, known := norms.ThreadOf(float64(m.Bolt))
		if !known {
			odd = append(
				odd,
				append(between(d, j), said.Say(": % is no bolt you can buy.", said.Length(m.Bolt))...),
			)
			continue
		}
		row := BoltRow{
			Count:  m.Bolts,
			Where:  between(d, j),
			thread: t,
			grip:   j.thick,
			Head:   "Heads up or out, nuts where no leg, sheet, tyre or wire catches on them.",
		}
		if !j.lap { // an end on a face: through a cleat and a wall
			row.grip = cleat + wallOf(&d.Bars[otherOf(j)])
			row.Head = "Through its cleat: nuts inside the cleat, heads on the smooth side."
		}
		row.grade, known = norms.BoltOf(m.BoltGrade)
		long, ok := t.BoltLength(row.grip)
		if !ok {
			odd = append(
				odd,
				append(
					between(d, j),
					said.Say(
						": no bolt is long enough for a grip of %; use a threaded rod, or a cleat.",
						said.Length(row.grip),
					)...),
			)
			continue
		}
		grade := row.grade.Name
		if !known {
			grade = "grade not entered"
		}
		row.Name = said.Say(t.Name+" × %, "+grade, said.Length(long))
		row.key = keyOf(fmt.Sprint(t.Name, "-", math.Round(long*1e4), "-", grade))
		row.Long = *finding.Exactly(quantity.KindLength, long)
		row.Grip = *finding.Exactly(quantity.KindLength, row.grip)
		row.Flats, row.Drill = *finding.Exactly(quantity.KindLength, t.Flats), *finding.Exactly(quantity.KindLength, t.Hole)
		at := slices.IndexFunc(rows, func(x BoltRow) bool { return x.key == row.key })
		if at < 0 {
			rows = append(rows, row)
			continue
		}
		rows[at].Count += row.Count
		rows[at].grip = math.Max(rows[at].grip, row.grip)
		rows[at].Grip = *finding.Exactly(quantity.KindLength, rows[at].grip)
		rows[at].Where = append(append(rows[at].Where, said.Say("; ")...), row.Where...)
	}
	slices.SortStableFunc(rows, func(a, b BoltRow) int {
		return cmp.Or(cmp.Compare(b.thread.Diameter, a.thread.Diameter), cmp.Compare(b.Long.Value, a.Long.Value))
	})
	for i := range rows {
		rows[i].Single = len(rows) > 1 && rows[i].Count <= 2
	}
	return rows, odd
}

// cleat is how thick an angle is by which an end is bolted to a face, m (practice, C).
const cleat = 0.006

func otherOf(j *joint) int {
	if j.end == j.a {
		return j.b
	}
	return j.a
}

// wallOf is a tube's wall, or what a bolt goes through of another section, m.
func wallOf(b *parts.FrameBar) float64 {
	if w := float64(b.Member.Profile.Wall); w > 0 {
		return w
	}
	return math.Min(b.High, b.Wide)
}

// tightening is the order of the bolted ends, from the middle of the frame outward, in two rounds.
func tightening(d *rig.Drawn, joints []joint) (out []TightenStep) {
	out = []TightenStep{}
	type one struct {
		j   *joint
		far float64
	}
	var ends []one
	for i := range joints {
		if joints[i].kind == plan.JointBolt {
			ends = append(ends, one{&joints[i], r3.Norm(r3.Sub(joints[i].at, d.Centre))})
		}
	}
	slices.SortStableFunc(ends, func(a, b one) int {
		if math.Abs(a.far-b.far) > 0.01 {
			return cmp.Compare(a.far, b.far)
		}
		return cmp.Or(cmp.Compare(a.j.at.X, b.j.at.X), cmp.Compare(a.j.at.Y, b.j.at.Y)) // opposite ones in turn
	})
	for _, e := range ends {
		m := &d.Bars[e.j.end].Member
		s := TightenStep{Says: between(d, e.j)}
		t, sized := norms.ThreadOf(float64(m.Bolt))
		if g, known := norms.BoltOf(m.BoltGrade); known && sized {
			torque := g.TorqueOf(t.Diameter)
			arm := spanner(&t)
			s.Torque = finding.Exactly(quantity.KindMoment, torque)
			s.Pull = finding.Exactly(quantity.KindMass, torque/quantity.Gravity/arm)
			s.Arm = finding.Exactly(quantity.KindLength, arm)
		}
		out = append(out, s)
	}
	return out
}

// spanner is how long a ring spanner usually is for a thread, m: about thirteen times its width across flats (practice, C).
func spanner(t *norms.Thread) float64 { return math.Round(13*t.Flats*100) / 100 }

// weldView is the frame from above with the welds' numbers.
func weldView(d *rig.Drawn, welds []WeldPlace) *scene.View {
	v := &scene.View{ID: "welds", Title: said.Say("The order of welding, from above"), Shapes: []scene.Shape{}}
	low, high := scene.Point{math.Inf(1), math.Inf(1)}, scene.Point{math.Inf(-1), math.Inf(-1)}
	grow := func(x, y float64) {
		low[0], low[1] = math.Min(low[0], x), math.Min(low[1], y)
		high[0], high[1] = math.Max(high[0], x), math.Max(high[1], y)
	}
	for i := range d.Bars {
		b := &d.Bars[i]
		v.Shapes = append(v.Shapes, scene.Line("drawbar", b.From.X, b.From.Y, b.To.X, b.To.Y))
		grow(b.From.X, b.From.Y)
		grow(b.To.X, b.To.Y)
	}
	// numbers stand outside the frame, of joints over each other one behind the other
	type spot struct{ x, side float64 }
	taken := map[spot]int{}
	middle := (low[1] + high[1]) / 2
	const step = 0.14
	for i, w := range welds {
		side := 1.0
		if w.At[1] < middle {
			side = -1
		}
		at := spot{math.Round(w.At[0] * 10), side}
		y := w.At[1] + side*(0.09+step*float64(taken[at])) + 0.03
		taken[at]++
		grow(w.At[0], y+side*0.05)
		v.Shapes = append(v.Shapes, scene.Label("note", "middle", w.At[0], y, said.Sentence{said.Count(i + 1)}))
	}
	v.Min, v.Max = scene.Point{low[0] - 0.15, low[1] - 0.08}, scene.Point{high[0] + 0.15, high[1] + 0.08}
	return v
}

// free are the joints that must turn.
func free(r *rig.Rig) []string {
	out := []string{}
	if r.Trailer.Suspension == plan.SpringsLeaf {
		out = append(
			out,
			"Spring eyes and shackles: snug, the nut locked, the spring still turns by hand. The slipper end slides.",
		)
	}
	if r.Trailer.Tipping != nil {
		out = append(out, "Hinge pins of the bed: held by clip or locknut, never pulled tight; grease.")
	}
	if w := r.Trailer.Wiring; w != nil && w.FoldAt != nil {
		out = append(out, "The fold’s hinge: locknut with a little play.")
	}
	for i := range drawnBars(r) {
		if m := &r.Drawn.Bars[i].Member; m.FromJoint == plan.JointHinge || m.ToJoint == plan.JointHinge {
			return append(out, "Hinged ends of the frame: a pin or a locknut with a little play.")
		}
	}
	return out
}

func drawnBars(r *rig.Rig) []parts.FrameBar {
	if r.Drawn == nil {
		return nil
	}
	return r.Drawn.Bars
}

// keyOf is a text as an id may hold it.
func keyOf(s string) string {
	return strings.Trim(strings.Map(func(r rune) rune {
		switch {
		case r >= 'a' && r <= 'z', r >= '0' && r <= '9':
			return r
		case r >= 'A' && r <= 'Z':
			return r + 'a' - 'A'
		}
		return '-'
	}, s), "-")
}
