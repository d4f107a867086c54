package tip

import (
	"math"

	"zygonos/core/lang/finding"
	"zygonos/core/lang/quantity"
	"zygonos/core/lang/said"
	"zygonos/core/lang/scene"
	"zygonos/core/plan"
	"zygonos/core/rig"
	"zygonos/core/sums/tipping"
)

// Tipped is a bed over its whole angle: the side view, where its gear stands, and what each angle takes.
type Tipped struct {
	View   scene.View    `json:"view"`
	Bed    []scene.Shape `json:"bed"`   // what turns with it, about the hinge
	Hinge  scene.Point   `json:"hinge"` // in the view
	Angles []TipStep     `json:"angles"`
	Curves []TipCurve    `json:"curves"`
	Worst  int           `json:"worst"` // angle of the greatest pull
	Says   said.Sentence `json:"says"`
	Care   []string      `json:"care"` // at the control, in large type
}

// TipStep is one angle: the gear's lines in the view.
type TipStep struct {
	Angle float64       `json:"angle"` // rad
	Lines []scene.Shape `json:"lines"`
}

// TipCurve is a figure over the angles with its name.
type TipCurve struct {
	Name  string      `json:"name"`
	Curve scene.Curve `json:"curve"`
}

// shown angles of a picture: every fourth of the sweep.
const every = 4

// cares are the cautions of every raised bed.
var cares = []string{
	"Nobody under a raised bed. Nobody beside it while it moves.",
	"Hands off hinge, line and roller.",
	"Level, firm ground; unlatch the tailgate first, everyone clear behind.",
}

// Show is a rig's bed as the stage shows it; nil where none is stated. Without enough to sweep it, the places alone.
func Show(r *rig.Rig) *Tipped {
	if r == nil || r.Trailer.Tipping == nil || r.DeckFront == nil || r.Trailer.DeckLength == nil {
		return nil
	}
	s := New(r)
	out := &Tipped{Angles: []TipStep{}, Curves: []TipCurve{}, Care: cares, Bed: []scene.Shape{}}
	p := placer{r.DeckFront.Nominal, r.DeckHeight()}
	t := r.Trailer.Tipping
	out.Hinge = p.at(vec(t.Hinge))
	out.Bed = bed(r, t, p)
	out.View = view(r, t, p)
	if s == nil {
		return out
	}
	out.Says = s.works().Says
	var pull, ball, off []float64
	known, slips := true, true
	for i := 0; i < len(s.Swept); i += every {
		f := &s.Swept[i]
		out.Angles = append(out.Angles, TipStep{f.Angle, lines(&f.State, t, p)})
		pull = append(pull, math.Max(0, s.drawn(f.Pull)))
		n, ok := s.sliding(f.Angle)
		off, slips = append(off, math.Max(0, s.drawn(n))), slips && ok
		b, ok := s.ball(f.Angle)
		ball, known = append(ball, b), known && ok
	}
	if len(pull) == 0 {
		return out
	}
	worst := func(v []float64, least bool) (at int) {
		for i := range v {
			if least && v[i] < v[at] || !least && v[i] > v[at] {
				at = i
			}
		}
		return at
	}
	out.Worst = worst(pull, false)
	kind, name, limit := quantity.KindMass, "On the line", s.limit()
	switch {
	case s.pushes() && t.Bore != nil:
		kind, name = quantity.KindPressure, "In the cylinder"
	case s.pushes():
		name = "On the cylinder"
	case s.t.By == plan.TipByHand:
		name = "On the hands"
	}
	out.Curves = append(
		out.Curves,
		TipCurve{name + ", the load stuck", scene.Curve{Kind: kind, Values: pull, Limit: limit, Worst: out.Worst}},
	)
	if slips {
		out.Curves = append(out.Curves, TipCurve{name + ", as it slides off", scene.Curve{
			Kind: kind, Values: off, Limit: limit, Worst: worst(off, false),
		}})
	}
	if known {
		zero := 0.0
		out.Curves = append(out.Curves, TipCurve{"At the ball, the load stuck", scene.Curve{
			Kind: quantity.KindMass, Values: ball, Limit: &zero, Above: true, Worst: worst(ball, true),
		}})
	}
	return out
}

// drawn is a pull as the curve shows it: on the drum, in the cylinder as a pressure where its bore is stated, by hand.
func (s *Setup) drawn(n float64) float64 {
	switch {
	case s.winds():
		return s.onDrum(n)
	case s.pushes() && s.t.Bore != nil:
		return n / (math.Pi / 4 * float64(*s.t.Bore) * float64(*s.t.Bore))
	}
	return n / tipping.Gravity
}

// limit is what it is held against.
func (s *Setup) limit() *float64 {
	switch {
	case s.winds() && s.t.WinchLifts != nil:
		v := float64(*s.t.WinchLifts) * s.layer()
		return &v
	case s.pushes() && s.t.Bore != nil && s.t.Pressure != nil:
		v := float64(*s.t.Pressure)
		return &v
	case s.t.By == plan.TipByHand:
		v := handShort / tipping.Gravity
		return &v
	}
	return nil
}

// placer turns places of the bed into the view's: behind the ball, and down.
type placer struct{ front, deck float64 }

func (p placer) at(v tipping.Vec) scene.Point { return scene.Point{p.front + v.X, -(p.deck + v.Z)} }

// bed is what turns, in the view about the hinge: its floor, sides and loads.
func bed(r *rig.Rig, t *plan.Tipping, p placer) (out []scene.Shape) {
	from := 0.0
	if t.From != nil {
		from = float64(*t.From)
	}
	h := p.at(vec(t.Hinge))
	rect := func(class string, x0, z0, x1, z1 float64) scene.Shape {
		a, b := p.at(tipping.Vec{X: x0, Z: z0}), p.at(tipping.Vec{X: x1, Z: z1})
		return scene.Rect(class, "", a[0]-h[0], a[1]-h[1], b[0]-h[0], b[1]-h[1])
	}
	long := r.DeckLength()
	for i := range r.Items {
		it := &r.Items[i]
		if it.Part || it.X-p.front < from || it.X-p.front > long {
			continue
		}
		out = append(out, rect("load", it.Front-p.front, it.Bottom-p.deck, it.Rear-p.front, it.Top-p.deck))
	}
	out = append(out, rect("deck", from, 0, long, -0.08))
	if s := r.Trailer.SideHeight; s != nil && *s > 0 {
		out = append(out, rect("sides", from, 0, long, float64(*s)))
	}
	return out
}

// view is the trailer without its bed, with every place of the gear to be taken.
func view(r *rig.Rig, t *plan.Tipping, p placer) scene.View {
	v := scene.View{
		ID:     "tipping",
		Title:  said.Say("The bed from the side, its front to the left"),
		Shapes: []scene.Shape{},
	}
	long := r.DeckLength()
	add := func(s ...scene.Shape) { v.Shapes = append(v.Shapes, s...) }
	top := math.Max(1.2, math.Max(float64(t.Top.Up), 0.9*long)) + 0.25
	ground := 0.0
	left, right := -0.3, p.front+long+0.6
	add(scene.Line("ground", left, ground, right, ground))
	bh := r.BallHeight()
	add(scene.Shape{Form: scene.Polyline, Class: "drawbar", Points: []scene.Point{
		{0, -bh}, {math.Min(0.25, p.front), -bh}, {p.front, -(p.deck - 0.12)}, {p.front + long, -(p.deck - 0.12)},
	}})
	for _, x := range r.AxlesAt() {
		wr := r.WheelRadius()
		add(scene.Disc("wheel", x, -wr, wr), scene.Disc("hub", x, -wr, wr*0.45))
	}
	add(scene.Disc("ball", 0, -bh, 0.045))
	for _, s := range spots(t) {
		at := p.at(vec(*s.spot))
		thing := "/trailers/" + r.Scope.Trailer + "/tipping/" + s.field
		d := scene.Disc("tip-spot", at[0], at[1], 0.05)
		d.Thing = thing
		label := scene.Label("mark", "middle", at[0], at[1]-0.11, said.Say(s.name))
		add(d, label)
		v.Handles = append(v.Handles,
			scene.Handle{
				Thing: thing, Path: thing + "/back", Direction: scene.Point{1, 0}, At: float64(s.spot.Back), Min: -6, Max: 12,
				Step: 0.01, Coarse: 0.1, Label: said.Say(s.name + ", behind the front"),
			}, scene.Handle{
				Thing: thing, Path: thing + "/up", Direction: scene.Point{0, -1}, At: float64(s.spot.Up), Min: -1, Max: 4,
				Step: 0.01, Coarse: 0.1, Label: said.Say(s.name + ", over the deck"),
			})
	}
	v.Min, v.Max = scene.Point{left, -(p.deck + top)}, scene.Point{right, 0.15}
	v.Sense()
	return v
}

// spotOf is a place of the gear with its name.
type spotOf struct {
	field, name string
	spot        *plan.TipSpot
}

// spots are the places that a way to tip has.
func spots(t *plan.Tipping) []spotOf {
	out := []spotOf{{"hinge", "hinge", &t.Hinge}, {"pick", "pick-up", &t.Pick}}
	if t.Struts > 0 {
		out = append(
			out,
			spotOf{"strutFoot", "strut’s foot", &t.StrutFoot},
			spotOf{"strutPick", "strut’s head", &t.StrutPick},
		)
	}
	top, foot := spotOf{"top", "mast’s top", &t.Top}, spotOf{"foot", "mast’s foot", &t.Foot}
	switch t.By {
	case plan.TipByMast:
		return append(out, top, foot)
	case plan.TipBySwing:
		return append(out, top, foot, spotOf{"drum", "winch", &t.Drum})
	case plan.TipByCylinder:
		foot.name = "cylinder’s foot"
		return append(out, foot)
	case plan.TipByLever:
		foot.name, top.name = "lever’s foot", "lever’s end"
		return append(
			out,
			foot,
			top,
			spotOf{"knee", "cylinder’s head", &t.Knee},
			spotOf{"drum", "cylinder’s foot", &t.Drum},
		)
	}
	return out
}

// lines are line, strap, mast, cylinder, lever and struts at an angle, in the view.
func lines(f *tipping.State, t *plan.Tipping, p placer) (out []scene.Shape) {
	add := func(class string, pts ...tipping.Vec) {
		s := scene.Shape{Form: scene.Polyline, Class: class}
		for _, v := range pts {
			s.Points = append(s.Points, p.at(v))
		}
		out = append(out, s)
	}
	foot, drum := vec(t.Foot), vec(t.Drum)
	if t.Struts > 0 {
		h := vec(t.Hinge)
		r := tipping.Turned(
			tipping.Vec{X: float64(t.StrutPick.Back) - h.X, Z: float64(t.StrutPick.Up) - h.Z},
			f.Angle,
		)
		add("tip-ram", vec(t.StrutFoot), tipping.Vec{X: h.X + r.X, Z: h.Z + r.Z})
	}
	switch t.By {
	case plan.TipByMast:
		add("tip-bar", foot, f.Top)
		add("tip-line", f.Pick, f.Top)
	case plan.TipBySwing:
		add("tip-bar", foot, f.Top)
		add("tip-line", f.Pick, f.Top, drum)
	case plan.TipByCylinder:
		add("tip-ram", foot, f.Pick)
	case plan.TipByLever:
		add("tip-bar", foot, f.Top, f.Knee, foot)
		add("tip-line", f.Top, f.Pick)
		add("tip-ram", drum, f.Knee)
	}
	return out
}

// Ticks are the lines of the departure card: a bed that is down and locked.
func Ticks(r *rig.Rig) []finding.Tick {
	if r.Trailer.Tipping == nil {
		return nil
	}
	out := []finding.Tick{
		{
			Under: finding.UnderWalk,
			ID:    "tip-down",
			Says:  said.Say("Bed down and locked on both sides, tailgate latched, line or pack switched off."),
		},
	}
	if r.Trailer.Tipping.Prop {
		out = append(
			out,
			finding.Tick{Under: finding.UnderWalk, ID: "tip-prop", Says: said.Say("The bed's prop stowed.")},
		)
	}
	return out
}
