package workshop

import (
	"math"

	"zygonos/core/lang/quantity"
	"zygonos/core/lang/said"
	"zygonos/core/lang/scene"
	"zygonos/core/rig"
	"zygonos/core/sums/survey"
)

// Drawn is what was taped as drawings from above, what is off drawn larger than it is.
type Drawn struct {
	Square *scene.View `json:"square,omitempty"`
	Level  *scene.View `json:"level,omitempty"`
	Axle   *scene.View `json:"axle,omitempty"`
	// 3-4-5 that fits the sides: legs along front and side, and the reading across; zero where none does
	Triangle [3]float64 `json:"triangle"`
}

// Show draws what was taped; nil parts where too little was.
func Show(r *rig.Rig) *Drawn {
	out := &Drawn{}
	if r == nil {
		return out
	}
	w, l := r.DeckWidth(), r.DeckLength()
	t := r.Trailer.Workshop
	if t != nil && t.Square != nil {
		q := t.Square
		for _, v := range []struct {
			told *quantity.Length
			to   *float64
		}{{q.Front, &w}, {q.Left, &l}} {
			if v.told != nil {
				*v.to = float64(*v.told)
			}
		}
		if s, err := survey.NewSquare(tapedOf(q), doubtOf(q.Tape)); err == nil {
			out.Square = squareView(s)
		}
	}
	out.Triangle[0], out.Triangle[1], out.Triangle[2] = survey.Triangle(w, l)
	if t != nil && t.Level != nil {
		_, stands := standsOf(t.Level)
		if s, err := survey.NewLevel(stands, doubtOf(t.Level.Doubt)); err == nil {
			out.Level = levelView(stands, s)
		}
	}
	if t != nil && t.Axle != nil {
		out.Axle = axleView(r)
	}
	return out
}

// larger is how many times what is off is drawn so that it shows: a tenth of a size.
func larger(off, size float64) float64 {
	if !(off > 1e-6) {
		return 1
	}
	return math.Max(1, math.Min(60, 0.1*size/off))
}

func line(class string, pts ...survey.Vec) scene.Shape {
	s := scene.Shape{Form: scene.Polyline, Class: class}
	for _, p := range pts {
		s.Points = append(s.Points, scene.Point{p.Y, p.X}) // the front on top
	}
	return s
}

// arrow from a place to another.
func arrow(from, to survey.Vec) []scene.Shape {
	d := survey.Vec{X: to.X - from.X, Y: to.Y - from.Y}
	n := math.Hypot(d.X, d.Y)
	if !(n > 1e-9) {
		return nil
	}
	u := survey.Vec{X: d.X / n * 0.08, Y: d.Y / n * 0.08}
	a := survey.Vec{X: to.X - u.X - u.Y/2, Y: to.Y - u.Y + u.X/2}
	b := survey.Vec{X: to.X - u.X + u.Y/2, Y: to.Y - u.Y - u.X/2}
	return []scene.Shape{line("push", from, to), line("push", a, to, b)}
}

// squareView is the frame as it stands, its skew drawn larger, over the square that it is to be.
func squareView(s *survey.Square) *scene.View {
	w := s.Corners[survey.FrontRight].Y
	off := s.Skew
	if math.Abs(off) <= 2*s.SkewDoubt { // as far as the tape tells it is square
		off = 0
	}
	k := larger(math.Abs(off), w)
	rect := [4]survey.Vec{{}, {Y: w}, {X: s.Length, Y: w}, {X: s.Length}}
	is := rect
	is[2].Y += off * k
	is[3].Y += off * k
	v := &scene.View{ID: "square", Title: said.Say("The corners from above"), Shapes: []scene.Shape{
		line(
			"ground",
			rect[0],
			rect[1],
			rect[2],
			rect[3],
			rect[0],
		), line("drawbar", is[0], is[1], is[2], is[3], is[0]),
	}}
	if off != 0 {
		corner := 2
		if off < 0 {
			corner = 3
		}
		v.Shapes = append(v.Shapes, arrow(is[corner], rect[corner])...)
		v.Shapes = append(
			v.Shapes,
			scene.Label(
				"mark",
				"middle",
				(is[corner].Y+rect[corner].Y)/2,
				s.Length+0.2,
				said.Say("%", said.Length(math.Abs(s.Skew))),
			),
		)
	}
	m := 0.2 + 0.1*w
	v.Min, v.Max = scene.Point{-m, -0.15}, scene.Point{w + m, s.Length + 0.3}
	return v
}

// levelView is the stands with their shims, those of the front above them, those of the rear below.
func levelView(stands []survey.Stand, s *survey.Level) *scene.View {
	v := &scene.View{
		ID:     "level",
		Title:  said.Say("The stands from above, with the shim for each"),
		Shapes: []scene.Shape{},
	}
	v.Min, v.Max = scene.Point{math.Inf(1), math.Inf(1)}, scene.Point{math.Inf(-1), math.Inf(-1)}
	round := make([]survey.Vec, 0, len(stands)+1)
	middle := 0.0
	for _, st := range stands {
		round = append(round, st.At)
		middle += st.At.X / float64(len(stands))
	}
	v.Shapes = append(v.Shapes, line("ground", append(round, stands[0].At)...))
	for i, st := range stands {
		label := st.At.X - 0.14
		if st.At.X > middle {
			label = st.At.X + 0.24
		}
		v.Shapes = append(v.Shapes, scene.Disc("ball", st.At.Y, st.At.X, 0.05),
			scene.Label("mark", "middle", st.At.Y, label, said.Say("%", said.Length(s.Shims[i]))))
		for d, x := range [2]float64{st.At.Y, st.At.X} {
			v.Min[d], v.Max[d] = math.Min(v.Min[d], x-0.5), math.Max(v.Max[d], x+0.5)
		}
	}
	return v
}

// axleView is coupling, wires and axle from above, its yaw drawn larger.
func axleView(r *rig.Rig) *scene.View {
	a := r.Trailer.Workshop.Axle
	if a.Left == nil || a.Right == nil || a.Apart == nil {
		return nil
	}
	x, err := survey.NewAxle(float64(*a.Left), float64(*a.Right), float64(*a.Apart), offOf(a), doubtOf(a.Tape))
	if err != nil {
		return nil
	}
	half := float64(*a.Apart) / 2
	yaw := x.Yaw
	if math.Abs(yaw) <= 2*x.YawDoubt {
		yaw = 0
	}
	k := larger(math.Abs(yaw)*half, half)
	sn, cs := math.Sincos(math.Max(-0.6, math.Min(0.6, yaw*k)))
	left := survey.Vec{X: x.Behind + half*sn, Y: -half * cs}
	right := survey.Vec{X: x.Behind - half*sn, Y: half * cs}
	coupling := survey.Vec{}
	v := &scene.View{ID: "axle", Title: said.Say("The axle from above, the {coupling} on top"), Shapes: []scene.Shape{
		line("ground", coupling, left), line("ground", coupling, right), line("drawbar", left, right),
		scene.Disc("ball", 0, 0, 0.06),
	}}
	for _, p := range [2]survey.Vec{left, right} {
		d := survey.Vec{X: 0.25 * cs, Y: 0.25 * sn}
		v.Shapes = append(
			v.Shapes,
			line("push", survey.Vec{X: p.X - d.X, Y: p.Y + d.Y}, survey.Vec{X: p.X + d.X, Y: p.Y - d.Y}),
		)
	}
	if yaw != 0 {
		ahead := right
		if yaw < 0 {
			ahead = left
		}
		v.Shapes = append(v.Shapes, arrow(ahead, survey.Vec{X: x.Behind + 0.05, Y: ahead.Y})...)
	}
	v.Min, v.Max = scene.Point{-half - 0.4, -0.15}, scene.Point{half + 0.4, x.Behind + 0.6}
	return v
}
