package ramp

import (
	"cmp"
	"math"
	"slices"

	"zygonos/core/facts/catalogue"
	"zygonos/core/lang/finding"
	"zygonos/core/lang/quantity"
	"zygonos/core/lang/said"
	"zygonos/core/lang/scene"
	"zygonos/core/plan"
	"zygonos/core/rig"
)

// DriveOn is the drive as it is shown: the trailer with its ramp, the machine in its own
// frame, and a step for each place of the scrubber.
type DriveOn struct {
	View    scene.View    `json:"view"`
	Machine []scene.Shape `json:"machine"` // about the rear wheels' middle, nose to the left
	Steps   []DriveStep   `json:"steps"`
	Worst   int           `json:"worst"` // of the steps
	Why     said.Sentence `json:"why"`   // of the worst
	Ball    Curve         `json:"ball"`
	Clear   Curve         `json:"clear"`
	Line    *Curve        `json:"line,omitempty"`
	On      []CardLine    `json:"on"`  // the card to load …
	Off     []CardLine    `json:"off"` // … and to unload
}

// DriveStep is one place of the machine.
type DriveStep struct {
	X     float64 `json:"x"` // of the rear wheels' middle, behind the ball
	Z     float64 `json:"z"`
	Pitch float64 `json:"pitch"` // nose up, rad
}

// Curve is a figure over the steps, with its limit and where it is worst.
type Curve = scene.Curve

// CardLine is a line of the loading card; its id is stable, so that a tick is kept.
type CardLine struct {
	ID   string        `json:"id"`
	Says said.Sentence `json:"says"`
	Care bool          `json:"care,omitempty"` // a caution
}

// shownSteps is how many even steps the scrubber has, beside the events.
const shownSteps = 121

// DriveOf gives the drive of a rig; nil where no machine gets on or something is
// missing.
func DriveOf(r *rig.Rig) *DriveOn {
	s, missing, fails := Prepare(r)
	if s == nil || len(missing) > 0 {
		return nil
	}
	d := &DriveOn{
		View:    s.view(),
		Steps:   []DriveStep{},
		Machine: []scene.Shape{},
		On:      []CardLine{},
		Off:     []CardLine{},
	}
	if fails != nil {
		d.Why = fails
		return d
	}
	steps := s.Course(shownSteps)
	w := WorstOf(steps)
	if t := s.Told(); t != s && steps[w.Clearance].Clearance < clearLeast { // as the check judges it
		s, steps = t, t.Course(shownSteps)
		w = WorstOf(steps)
	}
	d.Machine = s.machine()
	zero, clear := 0.0, clearLeast
	if s.Loading.Unhitched {
		zero = jockeyLeast
	}
	d.Ball = Curve{Kind: quantity.KindMass, Limit: &zero, Above: true, Worst: w.Ball}
	d.Clear = Curve{Kind: quantity.KindLength, Limit: &clear, Above: true, Worst: w.Clearance}
	line := &Curve{Kind: quantity.KindMass, Worst: w.Line}
	for i := range steps {
		st := &steps[i]
		d.Steps = append(d.Steps, DriveStep{-st.U, st.Pose.Rear.Centre.Z, st.Pose.Pitch})
		d.Ball.Values = append(d.Ball.Values, st.Ball)
		d.Clear.Values = append(d.Clear.Values, st.Clearance)
		if st.Lifts && i > 0 { // no figure there: the finding says why
			line.Values = append(line.Values, line.Values[i-1])
		} else {
			line.Values = append(line.Values, s.Pull(st))
		}
	}
	if s.Way == ByLine {
		if p := s.Loading.Winch; p != nil && p.Pull != nil {
			v := float64(*p.Pull) * s.leaves(s.hardest(steps))
			line.Limit = &v
		}
		d.Line = line
	}
	d.Worst, d.Why = w.Clearance, said.Say("nearest to touching")
	if steps[w.Clearance].Clearance >= clearLeast && steps[w.Ball].Ball < jockeyLeast {
		d.Worst, d.Why = w.Ball, said.Say("lightest at the {coupling}")
	}
	d.On, d.Off = s.Card(steps)
	return d
}

// view is the side view without machine and stowed ramp, with the ramp laid out.
func (s *Setup) view() scene.View {
	r := s.Rig
	patch := []finding.Op{{Op: "remove", Path: s.Item.PlacePath}}
	if _, ok := r.Layout.Parts[s.RampID]; ok {
		patch = append(patch, finding.Op{Op: "remove", Path: r.LayoutPath("/parts/" + s.RampID)})
	}
	v := scene.View{ID: "drive", Shapes: []scene.Shape{}}
	if next, err := plan.Apply(r.Plan, patch); err == nil {
		if bare := rig.Resolve(next, r.Scope.Trailer, r.Scope.Outing); bare != nil {
			v = bare.Views()[0]
			v.ID, v.Handles = "drive", nil
		}
	}
	for i := range v.Shapes {
		v.Shapes[i].Thing = ""
	}
	v.Title = said.Say("Getting it on")
	if s.Path == nil {
		return s.hanging(v)
	}
	reach := -s.Foot.U + s.Body.Base + s.Body.Before + s.Body.Behind + 0.5
	low := -s.Foot.Z
	v.Shapes = append(
		v.Shapes,
		scene.Shape{
			Form:   scene.Polyline,
			Class:  "ramp",
			Points: []scene.Point{{-s.Top.U, -s.Top.Z}, {-s.Foot.U, -s.Foot.Z}},
		},
		scene.Shape{
			Form:  scene.Polyline,
			Class: "ground",
			Points: []scene.Point{
				{-s.Top.U, -(s.Foot.Z + math.Tan(s.Loading.Fall)*(s.Top.U-s.Foot.U))},
				{-s.Foot.U, low},
				{reach, -s.Path.ground(-reach)},
			},
		},
	)
	if p := s.Loading.Props; p != nil {
		front, _ := r.Deck()
		x := front + float64(p.Back)
		v.Shapes = append(v.Shapes, scene.Rect("prop", "", x-0.03, -(r.DeckHeight()-0.08), x+0.03, -float64(p.Gap)))
	}
	v.Max[0] = max(v.Max[0], reach)
	v.Max[1] = max(v.Max[1], low+0.12, -s.Path.ground(-reach)+0.12)
	v.Min[1] = min(v.Min[1], -(s.Top.Z + s.Item.Top - s.Item.Bottom + 0.35))
	return v
}

// hanging draws ramps that do not reach: down from the tail, over the ground under it.
func (s *Setup) hanging(v scene.View) scene.View {
	_, tail := s.Rig.Deck()
	up, low := s.deckUp(), float64(s.Loading.Kerb)
	v.Shapes = append(
		v.Shapes,
		scene.Shape{
			Form:   scene.Polyline,
			Class:  "ground",
			Points: []scene.Point{{tail + 0.05, low}, {tail + 1.5, low}},
		},
	)
	if s.Ramp != nil && !s.Tilts {
		v.Shapes = append(
			v.Shapes,
			scene.Shape{
				Form:   scene.Polyline,
				Class:  "ramp",
				Points: []scene.Point{{tail, -up}, {tail, -up + min(float64(s.Ramp.Length), up+low)}},
			},
		)
	}
	v.Max[0], v.Max[1] = max(v.Max[0], tail+1.5), max(v.Max[1], low+0.12)
	return v
}

// ground is the path's height at u.
func (p Path) ground(u float64) float64 {
	for i := 0; i+1 < len(p); i++ {
		if a, b := p[i], p[i+1]; u >= a.U && u <= b.U && b.U > a.U {
			return a.Z + (b.Z-a.Z)*(u-a.U)/(b.U-a.U)
		}
	}
	return 0
}

// machine draws it about its rear wheels' middle, nose to the left: what it looks like, lifted off the
// contour that is judged, and that contour. An end that is out of the way, its height not stated, is
// dashed down to the belly.
func (s *Setup) machine() []scene.Shape {
	b := s.Body
	at := func(a, h float64) scene.Point { return scene.Point{-a, -(h - b.RearR)} }
	height := s.Item.Top - s.Item.Bottom
	mid := b.Belly + 0.45*(height-b.Belly)
	tip, rear := b.Base+b.Before, -b.Behind
	var out []scene.Shape
	low := func(told, wheels, end float64) float64 {
		if !math.IsInf(told, 1) {
			return told
		}
		shown := (b.Belly + mid) / 2
		out = append(out, scene.Shape{Form: scene.Polyline, Class: "untold", Points: []scene.Point{
			at(end, shown), at(end, b.Belly), at(wheels, b.Belly),
		}})
		return shown
	}
	nose, tail := low(b.Nose, b.Base, tip), low(b.Tail, 0, rear)
	under := func(a float64) float64 {
		switch {
		case a > b.Base:
			return nose
		case a < 0:
			return tail
		}
		return b.Belly
	}
	out = append(out, s.Item.Profile(func(p scene.Point) scene.Point {
		a := tip + p[0]*(rear-tip)
		if s.Backward {
			a = rear + p[0]*(tip-rear)
		}
		return at(a, max(p[1]*height, under(a)))
	})...)
	out = append(out, scene.Shape{Form: scene.Polyline, Class: "load-line", Points: []scene.Point{
		at(tip, nose), at(b.Base, nose), at(b.Base, b.Belly), at(0, b.Belly), at(0, tail), at(rear, tail),
	}})
	for _, w := range []struct{ a, r float64 }{{0, b.RearR}, {b.Base, b.FrontR}} {
		c := at(w.a, w.r)
		out = append(out, scene.Disc("wheel", c[0], c[1], w.r), scene.Disc("hub", c[0], c[1], 0.45*w.r))
	}
	rider := s.riding()
	c := at(rider.CentreAhead, rider.CentreUp)
	return append(out, scene.Disc("centre", c[0], c[1], 0.035))
}

// driven is how it is driven on, by whether its driver rides on it, astride or within it.
func (s *Setup) driven() said.Sentence {
	kind, _ := catalogue.LoadOf(s.Item.Load.Kind)
	switch {
	case kind.Walked:
		return said.Say(
			"Walk it up slowly and straight under its own drive, one hand on the brake; never stand where it would roll.",
		)
	case s.Item.OneTrack():
		return said.Say(
			"Helmet on; ride slowly and straight, without stopping on the ramp; feet on a second ramp or a step beside it.",
		)
	}
	return said.Say("Helmet and belt on; drive up slowly and straight, without stopping on the ramp.")
}

// Mark tells where it stops: front wheels before the headboard's face.
func (s *Setup) Mark() said.Sentence {
	front, _ := s.Rig.Deck()
	ahead := s.Home + s.Body.Base
	wheels := "front"
	if s.Backward {
		wheels = "rear"
	}
	return said.Say(
		"Stop with the "+wheels+" wheels' middle % from the {headboard}: mark the floor.",
		said.Length(math.Max(0, -front-ahead)),
	)
}

// Card is what to do in order, to load and to unload.
func (s *Setup) Card(steps []Step) (on, off []CardLine) {
	l := s.Loading
	name := said.Name(s.Item.Name, "the machine")
	w := WorstOf(steps)
	add := func(id string, care bool, says said.Sentence) { on = append(on, CardLine{id, says, care}) }
	back := func(id string, care bool, says said.Sentence) { off = append(off, CardLine{id, says, care}) }
	start := func(add func(string, bool, said.Sentence)) {
		if l.Unhitched {
			add(
				"stand",
				true,
				said.Say(
					"It stands unhitched: better hitch it. Chock both wheels, {jockey wheel} down and locked.",
				),
			)
		} else {
			add("stand", false, said.Say("Hitched, {coupling} latched and pinned; car in gear, handbrake on, wheels chocked."))
		}
		if p := l.Props; p != nil {
			add(
				"props",
				false,
				said.Say("Props down with a gap of % under them, plates on soft ground.", said.Length(p.Gap)),
			)
		} else if steps[w.Ball].Ball < 0 {
			add("lifts", true, said.Say("The tail is pushed down and % lifted in front: nobody at the tail or the {coupling}.", said.Mass(-steps[w.Ball].Ball)))
		}
		if s.Tilts {
			add("ramps", false, said.Say("Unlatch the bed, let its tail down slowly. Hands clear of the pivot."))
			return
		}
		if s.Apart() <= 0 {
			add(
				"ramps",
				false,
				said.Say(
					"The ramp in the middle, hooked, pinned or strapped to the tail; a step beside it for your feet.",
				),
			)
			return
		}
		add(
			"ramps",
			false,
			said.Say(
				"Ramps % apart, middle to middle, hooked, pinned or strapped to the tail. Hands clear of the hinge.",
				said.Length(s.Apart()),
			),
		)
	}
	before, after := s.others()
	start(add)
	for _, o := range before {
		add("first-"+o.Item.ID, false, append(said.Say("First %. ", said.Name(o.Item.Name, "a machine")), o.Mark()...))
	}
	if k, _ := catalogue.LoadOf(s.Item.Load.Kind); k.Rises != "" {
		add("rises", false, said.Say("Set its % as high as it goes, blades off.", said.Piece{Text: k.Rises}))
	}
	if s.Way == ByLine {
		add(
			"line",
			false,
			said.Say(
				"Pay out the line, hook it low and in the middle, put the machine in neutral, take up the slack. Only then release %'s brake.",
				name,
			),
		)
		add("clear", true, said.Say("Stand clear of the line, with a damper on it; nobody behind % on the ramp.", name))
	} else {
		add("drive", false, s.driven())
		add("clear", true, said.Say("Nobody beside or behind the ramp."))
	}
	add("mark", false, s.Mark())
	if s.Way == ByLine {
		add("brake", false, said.Say("Parking brake on, in gear; tie it down before you slacken the line."))
	} else {
		add("brake", false, said.Say("Parking brake on, in gear; then tie it down, before the ramps go away."))
	}
	for _, o := range after {
		add("then-"+o.Item.ID, false, append(said.Say("Then %. ", said.Name(o.Item.Name, "a machine")), o.Mark()...))
	}
	add("stow", false, said.Say("Ramps and props stowed and locked; {jockey wheel} up."))
	start(back)
	for _, o := range slices.Backward(after) {
		back("first-"+o.Item.ID, false, said.Say("First take % down the same way.", said.Name(o.Item.Name, "a machine")))
	}
	if s.Way == ByLine {
		back(
			"line",
			false,
			said.Say(
				"Line hooked and tight before the lashings come off; brake off last; let it down by the winch.",
			),
		)
	} else {
		back("drive", false, said.Say("Lashings off with the brake on; drive down slowly and straight, in low gear."))
	}
	for _, o := range slices.Backward(before) {
		back("then-"+o.Item.ID, false, said.Say("Then take % down the same way.", said.Name(o.Item.Name, "a machine")))
	}
	back("stow", false, said.Say("Ramps and props stowed; look under and behind before you drive off."))
	return on, off
}

// others are the further machines that get on: those that stand in front of this one before it, the rest after it.
func (s *Setup) others() (before, after []*Setup) {
	for _, it := range s.Rig.Machines() {
		if it.ID == s.Item.ID {
			continue
		}
		o, missing, fails := Prepare(Of(s.Rig, it.ID))
		switch {
		case o == nil || len(missing) > 0 || fails != nil: // its check says so
		case it.Front < s.Item.Front:
			before = append(before, o)
		default:
			after = append(after, o)
		}
	}
	along := func(a, b *Setup) int { return cmp.Compare(a.Item.Front, b.Item.Front) }
	slices.SortStableFunc(before, along)
	slices.SortStableFunc(after, along)
	return before, after
}
