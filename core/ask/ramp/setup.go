package ramp

import (
	"math"
	"slices"

	"zygonos/core/facts/catalogue"
	"zygonos/core/lang/finding"
	"zygonos/core/lang/quantity"
	"zygonos/core/lang/said"
	"zygonos/core/plan"
	"zygonos/core/rig"
)

// Stage under which the findings stand.
const Stage = "ramps"

// Figures of practice (confidence C).
const (
	driverAhead = 0.5  // of the wheelbase
	driverUp    = 0.9  // m above the ground
	jockeyLeast = 25.0 // kg that should stay on it
	clearLeast  = 0.03 // m under the belly
	usualTyre   = 0.2  // m wide
)

// Setup is one machine getting on one trailer.
type Setup struct {
	Rig     *rig.Rig
	Loading *plan.Loading
	Item    *rig.Item
	Ramp    *plan.Ramp
	RampID  string
	Body    Body
	Track   float64
	// what to tape where the track is its kind's usual one
	RoughTrack []finding.Need
	RoughWheel bool // its wheels are its kind's usual ones
	Tyre       float64

	FrontTrack, FrontTyre float64 // of its front axle

	Springs   float64 // kg/m, of all; 0 where they are not known
	Mass      float64 // of the machine with what rides on it, kg
	Driver    float64 // who rides on it, kg
	All       float64 // both
	Backward  bool    // it stands tail first
	Axle      float64 // behind the ball, m
	Path      Path
	Foot, Top Point   // of the ramp
	Angle     float64 // of the ramp, rad
	Home      float64 // u of the rear wheels when it is home
	Start     float64
	whole     rig.Body // the machine with what is in it and on it
	Bare      float64  // ball load without machine and with half of the ramps hung at the tail, kg
	Way       Way
	Winch     Point
	Rough     []finding.Need // taken from its kind
	untold    [2]*overhang   // nose and tail, as it goes up, where they are taken as low as the belly
	Tilts     bool           // the bed itself is the ramp, Top its pivot
	Level     Path           // of a bed that tilts, once it has dropped level
}

// pathLeft and pathRight are how far the path reaches beyond foot and headboard, m.
const pathBeyond = 12.0

// Prepare gathers what the sums take. missing says what is not known; fails says what
// cannot be, where the ramp does not reach.
func Prepare(r *rig.Rig) (s *Setup, missing []finding.Need, fails said.Sentence) {
	if r.Layout == nil || r.Layout.Loading == nil || r.Layout.Loading.Machine == "" {
		return nil, nil, nil
	}
	l := r.Layout.Loading
	s = &Setup{Rig: r, Loading: l}
	i := slices.IndexFunc(r.Items, func(o rig.Item) bool { return !o.Part && o.ID == l.Machine })
	need := func(path, says, where string) {
		missing = append(missing, finding.Need{Path: path, Says: said.Say(says), Where: said.Say(where)})
	}
	if i < 0 {
		need(
			r.LayoutPath("/placements/"+l.Machine),
			"where the machine stands",
			"Put it on the deck under Balance.",
		)
		return nil, missing, nil
	}
	s.Item = &r.Items[i]
	if r.DeckFront == nil {
		need(
			"/trailers/"+r.Scope.Trailer+"/couplingToDeck",
			"the distance from {coupling} to the {headboard}",
			"Tape from the ball's middle to the front edge of the deck.",
		)
	}
	if r.Trailer.DeckLength == nil {
		need(
			"/trailers/"+r.Scope.Trailer+"/deckLength",
			"the deck's length",
			"Tape from the {headboard}'s inside to the tail.",
		)
	}
	if r.Trailer.DeckHeight == nil {
		need("/trailers/"+r.Scope.Trailer+"/deckHeight", "the deck's height", "Tape it at the tail, empty.")
	}
	if r.Axle == nil || r.Axle.Nominal <= 0 || r.Bears == nil {
		missing = append(missing, r.Needs...)
		if len(r.Needs) == 0 {
			need(r.AxlePath, "the balance", "Fill in the Balance stage.")
		}
	}
	part, ok := r.Plan.Parts[l.Ramp]
	if pivot := r.Trailer.Pivot; pivot != nil && l.Ramp == "" {
		s.Ramp, s.Tilts = &plan.Ramp{Kind: plan.RampFull, Held: plan.HeldPins}, true
	} else if !ok || part.Ramp == nil || part.Ramp.Length <= 0 {
		need(r.LayoutPath("/loading/ramp"), "the ramps", "Choose them, and tape their length.")
	} else {
		s.Ramp, s.RampID = part.Ramp, l.Ramp
	}
	s.Backward = r.Layout.Placements[l.Machine].Turn == 180
	s.whole = r.Moves(i)
	if !s.body(&missing) || len(missing) > 0 {
		return nil, missing, nil
	}
	s.Axle = r.Axle.Nominal
	s.Springs, _ = r.SpringRate()
	s.Mass = s.whole.Mass
	s.Driver = rig.Driver(r.Plan, l).Nominal
	s.All = s.Mass + s.Driver
	s.Way = map[plan.Drive]Way{plan.DriveRear: OneAxleRear, plan.DriveFront: OneAxleFront, plan.DriveWinch: ByLine}[l.Drive]
	if s.Backward && (s.Way == OneAxleRear || s.Way == OneAxleFront) {
		s.Way = OneAxleRear + OneAxleFront - s.Way
	}
	if fails = s.lay(); fails != nil {
		return s, nil, fails
	}
	s.bare(i)
	return s, nil, nil
}

// overhang is an end of the machine whose height nobody stated.
type overhang struct {
	hangs string
	finding.Need
}

// body takes the machine's wheels and centre; nose first unless it stands turned.
func (s *Setup) body(missing *[]finding.Need) bool {
	it, load := s.Item, s.Item.Load
	kind, known := catalogue.LoadOf(load.Kind)
	roll := plan.Rolling{}
	if load.Rolling != nil {
		roll = *load.Rolling
	}
	typical := catalogue.Rolls{}
	if known && kind.Rolls != nil {
		typical = *kind.Rolls
	}
	value := func(e *plan.LengthEstimate, usual quantity.Length, field, says string) float64 {
		switch {
		case e != nil:
			return float64(e.Value)
		case usual > 0:
			s.Rough = append(
				s.Rough,
				finding.Need{
					Path:  it.Path + "/rolling/" + field,
					Says:  said.Say(says),
					Where: said.Say("Tape it; the usual figure for its kind is used."),
				},
			)
			return float64(usual)
		}
		*missing = append(
			*missing,
			finding.Need{Path: it.Path + "/rolling/" + field, Says: said.Say(says), Where: said.Say("Tape it.")},
		)
		return 0
	}
	front := value(roll.FrontAxle, typical.FrontAxle, "frontAxle", "from the machine's front to its front wheels")
	b := Body{
		Base:  value(roll.Wheelbase, typical.Wheelbase, "wheelbase", "the machine's wheelbase"),
		Belly: value(roll.Clearance, typical.Clearance, "clearance", "the machine's ground clearance"),
	}
	s.Track = float64(typical.Track)
	if roll.Track == nil && s.Track > 0 {
		s.RoughTrack = []finding.Need{{
			Path:  it.Path + "/rolling/track",
			Says:  said.Say("the middle of its left {tyre} to the right one’s"),
			Where: said.Say("Tape it; the usual figure for its kind is used."),
		}}
	}
	if roll.Track != nil {
		s.Track = float64(roll.Track.Value)
	}
	wheel := float64(typical.Wheel) / 2
	s.RoughWheel = roll.Wheel == nil
	if roll.Wheel != nil {
		wheel = float64(*roll.Wheel) / 2
	}
	if wheel == 0 {
		wheel = 0.25
	}
	b.RearR, b.FrontR = wheel, wheel
	switch {
	case roll.FrontWheel != nil:
		b.FrontR = float64(*roll.FrontWheel) / 2
	case roll.Wheel == nil && typical.FrontWheel > 0:
		b.FrontR = float64(typical.FrontWheel) / 2
	}
	s.Tyre = usualTyre
	if roll.Tyre != nil {
		s.Tyre = float64(*roll.Tyre)
	}
	length := it.Length()
	b.Before, b.Behind = front, length-front-b.Base
	b.Nose, b.Tail = b.Belly, b.Belly
	for k, end := range [2]struct {
		told        *quantity.Length
		at          *float64
		hangs       float64
		field, what string
	}{
		{roll.Nose, &b.Nose, b.Before, "nose", "what hangs in front of its front wheels"},
		{roll.Tail, &b.Tail, b.Behind, "tail", "what hangs behind its rear wheels"},
	} {
		switch {
		case end.told != nil:
			*end.at = float64(*end.told)
		case end.hangs > 0:
			s.untold[k] = &overhang{end.what, finding.Need{
				Path:  it.Path + "/rolling/" + end.field,
				Says:  said.Say("the height of " + end.what),
				Where: said.Say("Tape it from level ground."),
			}}
		}
	}
	if b.Base > 0 && b.Behind < 0 || b.Base > length {
		b.Behind = 0
	}
	// The centre, behind the machine's own front.
	back := s.whole.X - it.Front
	if s.Backward {
		back = it.Rear - s.whole.X
	}
	b.CentreAhead, b.CentreUp = front+b.Base-back, s.whole.Z-it.Bottom
	if s.Backward { // what goes up first is its rear
		b.Before, b.Behind, b.Nose, b.Tail = b.Behind, b.Before, b.Tail, b.Nose
		b.FrontR, b.RearR = b.RearR, b.FrontR
		s.untold[0], s.untold[1] = s.untold[1], s.untold[0]
		b.CentreAhead = b.Base - b.CentreAhead
	}
	s.fronts(roll, typical)
	s.Body = b
	return b.Base > 0 && b.Base > (b.FrontR+b.RearR)/4
}

// fronts are the tracks and tyres of both axles: the front ones as the rear where they are
// not stated.
func (s *Setup) fronts(roll plan.Rolling, typical catalogue.Rolls) {
	s.FrontTrack, s.FrontTyre = s.Track, s.Tyre
	switch {
	case roll.FrontTrack != nil:
		s.FrontTrack = float64(*roll.FrontTrack)
	case roll.Track == nil && typical.FrontTrack > 0:
		s.FrontTrack = float64(typical.FrontTrack)
	}
	if roll.FrontTyre != nil {
		s.FrontTyre = float64(*roll.FrontTyre)
	}
}

// deckUp is the deck's height while it is loaded: as lowered, or as it stands, m.
func (s *Setup) deckUp() float64 {
	if d := float64(s.Loading.Deck); d > 0 {
		return d
	}
	return s.Rig.DeckHeight()
}

// deck is its height x behind the ball while it is loaded: the coupling raised by d lowers
// what lies behind the axle, d·(x − L)/L.
func (s *Setup) deck(x float64) float64 {
	return s.deckUp() - float64(s.Loading.Raised)*(x-s.Axle)/s.Axle
}

// lay makes the path: the ground falls by Fall behind the tail's end and lies Kerb
// lower; the ramp of its length from the tail's edge meets it; the coupling raised by d
// lowers the tail by d·(x − L)/L.
func (s *Setup) lay() said.Sentence {
	l := s.Loading
	front, tail := s.Rig.Deck()
	top, head := Point{-tail, s.deck(tail)}, Point{-front, s.deck(front)}
	if s.Tilts {
		return s.tilt()
	}
	length, fall := float64(s.Ramp.Length), math.Tan(l.Fall)
	h := top.Z + float64(l.Kerb) // of the tail over the ground under it
	// (top.U − u)² + (h + fall·(top.U − u))² = length²
	a, b, c := 1+fall*fall, h*fall, h*h-length*length
	d := b*b - a*c
	if h <= 0 {
		return said.Say("The ground there is as high as the tail: no ramp is needed. Mind the gap.")
	}
	if c >= 0 || d < 0 {
		return said.Say(
			"Ramps % long do not reach the ground: the tail is % up. Use longer ramps, or lower the tail.",
			said.Length(length),
			said.Length(h),
		)
	}
	run := (-b + math.Sqrt(d)) / a // above zero, as c is below it
	foot := Point{top.U - run, top.Z - h - fall*run}
	s.Top, s.Foot, s.Angle = top, foot, math.Atan2(top.Z-foot.Z, run)
	ground := Point{foot.U - pathBeyond, foot.Z - fall*pathBeyond}
	slope := (head.Z - top.Z) / (head.U - top.U)
	s.Path = Path{ground, foot, top, head, {head.U + pathBeyond, head.Z + slope*pathBeyond}}
	s.ends()
	return nil
}

// ends are where the drive begins and ends, and where the line goes.
func (s *Setup) ends() {
	front, _ := s.Rig.Deck()
	s.Home = -s.Item.Front - s.Body.Before - s.Body.Base
	s.Start = s.Foot.U - s.Body.Base - s.Body.FrontR - 0.1
	s.Winch = Point{-front, s.deck(front) + 0.3}
	if w := s.Loading.Winch; w != nil {
		x := front + float64(w.Back)
		s.Winch = Point{-x, s.deck(x) + float64(w.Up)}
	}
}

// tilt turns the bed about its pivot until the tail is on the ground, which lies a kerb k
// lower: sin θ = (h_p + k)/b, h_p the pivot's height and b the bed behind it, both with the
// deck lowered and the coupling raised as they are.
func (s *Setup) tilt() said.Sentence {
	front, tail := s.Rig.Deck()
	pivot, kerb := float64(*s.Rig.Trailer.Pivot), float64(s.Loading.Kerb)
	h := s.deck(pivot)
	bed := math.Hypot(tail-pivot, s.deck(tail)-h)
	if pivot <= front || pivot >= tail || bed <= h+kerb {
		return said.Say(
			"A bed that pivots % from the {coupling} does not reach the ground with its tail. Tape the pivot.",
			said.Length(pivot),
		)
	}
	if s.deck(tail)+kerb <= 0 {
		return said.Say("The ground there is as high as the tail: the bed need not tilt.")
	}
	s.Angle = math.Asin((h + kerb) / bed)
	s.Ramp.Length = length(bed)
	cos, sin := math.Cos(s.Angle), math.Sin(s.Angle)
	s.Foot, s.Top = Point{-pivot - bed*cos, h - bed*sin}, Point{-pivot, h}
	ahead := pivot - front + pathBeyond
	ground := func(u float64) Point { return Point{u, s.Foot.Z - math.Tan(s.Loading.Fall)*(s.Foot.U-u)} }
	s.Path = Path{ground(s.Foot.U - pathBeyond), s.Foot, {-pivot + ahead*cos, h + ahead*sin}}
	on := func(x float64) Point { return Point{-x, s.deck(x)} }
	s.Level = Path{on(tail + pathBeyond), on(tail), on(front), on(front - pathBeyond)}
	s.ends()
	return nil
}

// bare takes the machine off the ball, with machines that stand in its way behind it and so get
// on later, and what else lies there where that lifts the ball; and the ramps from where they travel to the tail's edge, where half of them hangs.
func (s *Setup) bare(machine int) {
	r := s.Rig
	take := func(b rig.Body) float64 { return b.Mass * (s.Axle - b.X) / s.Axle }
	s.Bare = r.Bears.Ball.Nominal - take(r.Moves(machine))
	m := &r.Items[machine]
	for i := range r.Items {
		it := &r.Items[i]
		if !it.Part && it.OnDeck && it.Mass != nil && it.Front >= m.Rear-1e-6 && it.Left < m.Right && m.Left < it.Right {
			if on := take(r.Moves(i)); it.Shape == "wheels" || on > 0 { // what is flat may lie there already
				s.Bare -= on
			}
		}
		if it.Part && it.ID == s.RampID && it.Mass != nil {
			s.Bare -= take(r.Moves(i))
			s.Bare += it.Mass.Nominal / 2 * (s.Axle + s.Top.U) / s.Axle
		}
	}
}

// Hook is where the line takes the machine: ahead of its front wheels, at their height.
func (s *Setup) Hook(q Pose) Point {
	return s.Body.Place(q, s.Body.Base+s.Body.Before, s.Body.FrontR)
}
