package clearance

import (
	"math"

	"zygonos/core/facts/norms"
	"zygonos/core/lang/finding"
	"zygonos/core/lang/quantity"
	"zygonos/core/lang/said"
	"zygonos/core/lang/scene"
	"zygonos/core/rig"
)

// CodeTurn is the code of the finding on turning.
const CodeTurn = "clearance.turn"

// WantedTurn is the angle between car and trailer that is asked for, rad: enough
// to reverse round a corner (practice).
const WantedTurn = math.Pi / 2

// Figures of the car where they are not stated, m: half its width, half its
// tailgate's.
const (
	carHalf  = 0.9
	gateHalf = 0.65
	carLong  = 2.0 // of its tail that counts

	// An A-frame: from behind the coupling's head to the deck, there so wide of the deck's half.
	frameFrom = 0.1
	frameWide = 0.8
)

// Block is an upright box or wedge seen from above, m; x behind the ball, y to the right.
type Block struct {
	Front, Rear, Left, Right float64
	Name                     string
	Pointed                  bool // a triangle, its front a point midway
}

// Turn is the first touch when the trailer turns about the ball.
type Turn struct {
	Angle float64 // rad; beyond 110° nothing touches
	By    string  // what of the trailer
	On    string  // the car or its open tailgate
}

// mostTurn is the angle up to which is looked, rad.
const mostTurn = 110 * math.Pi / 180

// FirstTouch turns the trailer's blocks about the ball, to one side (sign 1: its
// tail to the right), until one of them meets one of the car's.
// The angle is found in steps of three degrees and then by bisection: things on a
// trailer are too large to pass through each other in between.
func FirstTouch(trailer, car []Block, sign float64) Turn {
	out := Turn{Angle: math.Inf(1)}
	const step = math.Pi / 60
	for k := range car {
		reach := farthest(&car[k])
		for i := range trailer {
			if trailer[i].Front >= reach { // stays behind what the car reaches along it
				continue
			}
			touches := func(a float64) bool { return meet(&trailer[i], &car[k], sign*a) }
			for a := 0.0; a <= min(mostTurn, out.Angle+step); a += step {
				if !touches(a) {
					continue
				}
				lo, hi := max(0, a-step), a
				for range 30 {
					if mid := (lo + hi) / 2; touches(mid) {
						hi = mid
					} else {
						lo = mid
					}
				}
				if hi < out.Angle {
					out = Turn{hi, trailer[i].Name, car[k].Name}
				}
				break
			}
		}
	}
	return out
}

// farthest is the most that a block reaches along the turned trailer's axis, at
// any angle up to mostTurn: max of x·cos φ + |y|·sin φ over its corners.
func farthest(b *Block) float64 {
	most := math.Inf(-1)
	y := max(math.Abs(b.Left), math.Abs(b.Right))
	for _, x := range []float64{b.Front, b.Rear} {
		peak := min(math.Atan2(y, x), mostTurn) // of the sinusoid; atan2 lies in (0, π) for y > 0
		for _, a := range []float64{0, peak, mostTurn} {
			most = max(most, x*math.Cos(a)+y*math.Sin(a))
		}
	}
	return most
}

// corners of a block in turn; those of a wedge's point coincide.
func (b *Block) corners() [4][2]float64 {
	left, right := b.Left, b.Right
	if b.Pointed {
		left, right = (b.Left+b.Right)/2, (b.Left+b.Right)/2
	}
	return [4][2]float64{{b.Front, left}, {b.Front, right}, {b.Rear, b.Right}, {b.Rear, b.Left}}
}

// meet reports whether a block, turned by a about the ball, overlaps one that
// is not: neither the axes of the one nor of the other part them.
func meet(moving, still *Block, a float64) bool {
	sin, cos := math.Sincos(a)
	m, s := moving.corners(), still.corners()
	for i, p := range m {
		m[i] = [2]float64{p[0]*cos - p[1]*sin, p[0]*sin + p[1]*cos}
	}
	axes := [6][2]float64{{1, 0}, {0, 1}, {cos, sin}, {-sin, cos}}
	n := 4
	if moving.Pointed { // its two slanting sides have upright directions of their own
		for k, p := range [2][2]int{{0, 2}, {0, 3}} {
			axes[4+k] = [2]float64{-(m[p[1]][1] - m[p[0]][1]), m[p[1]][0] - m[p[0]][0]}
		}
		n = 6
	}
	for _, axis := range axes[:n] {
		lo1, hi1, lo2, hi2 := math.Inf(1), math.Inf(-1), math.Inf(1), math.Inf(-1)
		for i := range m {
			v := m[i][0]*axis[0] + m[i][1]*axis[1]
			w := s[i][0]*axis[0] + s[i][1]*axis[1]
			lo1, hi1, lo2, hi2 = min(lo1, v), max(hi1, v), min(lo2, w), max(hi2, w)
		}
		if hi1 <= lo2 || hi2 <= lo1 {
			return false
		}
	}
	return true
}

// framed reports whether the drawbar is an A-frame of two beams.
func framed(r *rig.Rig) bool { return r.Trailer.Drawbar != nil && r.Trailer.Drawbar.Beams == 2 }

// blocks are what turns and what it may meet: low things meet the bumper, tall
// ones also the open tailgate. With frame the drawbar is an A-frame.
func blocks(r *rig.Rig, longer float64, frame bool) (trailer, tall, car, gate []Block) {
	behind := usualBallBehind
	if b := r.Vehicle.BallBehind; b != nil {
		behind = float64(*b)
	}
	car = []Block{{Front: -behind - carLong, Rear: -behind, Left: -carHalf, Right: carHalf, Name: "car"}}
	level := math.Inf(1)
	if g := r.Vehicle.GateReach; g != nil && *g > 0 {
		gate = []Block{
			{Front: -behind, Rear: -behind + float64(*g), Left: -gateHalf, Right: gateHalf, Name: "open tailgate"},
		}
		level = 0
		if h := r.Vehicle.GateHeight; h != nil {
			level = float64(*h)
		}
	}
	front, rear := r.Deck()
	half := r.DeckWidth() / 2
	add := func(b Block, top float64) {
		if b.Pointed { // from the coupling, however long
			b.Front -= longer
		}
		b.Front, b.Rear = b.Front+longer, b.Rear+longer
		trailer = append(trailer, b)
		if top > level {
			tall = append(tall, b)
		}
	}
	side := 0.0
	if s := r.Trailer.SideHeight; s != nil {
		side = float64(*s)
	}
	add(Block{Front: front, Rear: rear, Left: -half, Right: half, Name: "the deck's corner"}, r.DeckHeight()+side)
	if frame && front > frameFrom {
		add(
			Block{
				Front:   frameFrom,
				Rear:    front,
				Left:    -frameWide * half,
				Right:   frameWide * half,
				Name:    "the drawbar",
				Pointed: true,
			},
			r.BallHeight(),
		)
	}
	for i := range r.Items {
		it := &r.Items[i]
		add(Block{Front: it.Front, Rear: it.Rear, Left: it.Left, Right: it.Right, Name: it.Name}, it.Top)
	}
	return trailer, tall, car, gate
}

// Articulate finds the first touch to either side with the drawbar longer by d.
func Articulate(r *rig.Rig, d float64) Turn { return articulate(r, d, framed(r)) }

func articulate(r *rig.Rig, d float64, frame bool) Turn {
	trailer, tall, car, gate := blocks(r, d, frame)
	best := Turn{Angle: math.Inf(1)}
	for _, sign := range sides(trailer) {
		for _, t := range []Turn{FirstTouch(trailer, car, sign), FirstTouch(tall, gate, sign)} {
			if t.Angle < best.Angle {
				best = t
			}
		}
	}
	return best
}

// wanted is the angle that the owner asks for, or the usual one, rad.
func wanted(r *rig.Rig) float64 {
	if a := r.Trailer.TurnTo; a != nil {
		return *a
	}
	return WantedTurn
}

// Swing is car and trailer from above, to be turned about the ball, which lies at
// the origin: the trailer's shapes turn, the car's stay.
type Swing struct {
	Car     []scene.Shape `json:"car"`
	Trailer []scene.Shape `json:"trailer"`
	Min     scene.Point   `json:"min"` // that holds every angle
	Max     scene.Point   `json:"max"`
	Right   Touch         `json:"right"` // the trailer's tail goes to the right
	Left    Touch         `json:"left"`
	Wanted  float64       `json:"wanted"` // rad
	Most    float64       `json:"most"`   // rad; so far it was looked
	Longer  *Longer       `json:"longer,omitempty"`
}

// Touch is the first touch to one side; without an angle nothing touches.
type Touch struct {
	Angle *float64 `json:"angle,omitempty"` // rad
	By    string   `json:"by,omitempty"`
	On    string   `json:"on,omitempty"`
}

// Longer is the longer drawbar that allows the wanted angle, and what else it
// changes. With deck and axle d further back the ball bears R·L/(L + d); the
// drawbar bends at the deck's front by the ball load on its free length; in
// reverse the trailer answers by L/(L + d) of before.
type Longer struct {
	By      float64  `json:"by"`              // m
	Ball    float64  `json:"ball"`            // kg, before the drawbar's own weight
	Bends   *float64 `json:"bends,omitempty"` // bending at the deck's front, share of now; nil where it has no free length
	Answers float64  `json:"answers"`         // share of now
}

// SwingOf draws car and trailer and finds the first touch to both sides; nil where
// there is no car or no deck.
func SwingOf(r *rig.Rig) *Swing {
	if r.Vehicle == nil || r.DeckFront == nil || r.Trailer.DeckLength == nil || r.Axle == nil {
		return nil
	}
	trailer, tall, car, gate := blocks(r, 0, framed(r))
	s := &Swing{Wanted: wanted(r), Most: mostTurn}
	touch := func(sign float64) Touch {
		best := Turn{Angle: math.Inf(1)}
		for _, t := range []Turn{FirstTouch(trailer, car, sign), FirstTouch(tall, gate, sign)} {
			if t.Angle < best.Angle {
				best = t
			}
		}
		if math.IsInf(best.Angle, 1) {
			return Touch{}
		}
		return Touch{&best.Angle, best.By, best.On}
	}
	s.Right, s.Left = touch(1), touch(-1)
	for _, b := range car {
		s.Car = append(s.Car, scene.Rect("car", "", b.Front, b.Left, b.Rear, b.Right))
	}
	for _, b := range gate {
		s.Car = append(s.Car, scene.Rect("gate", "", b.Front, b.Left, b.Rear, b.Right))
	}
	s.Car = append(s.Car, scene.Line("towbar", car[0].Rear, 0, 0, 0))
	s.Trailer = r.Plain()
	reach := 0.0
	for i := range trailer {
		b := &trailer[i]
		reach = max(reach, math.Hypot(b.Rear, max(math.Abs(b.Left), math.Abs(b.Right))))
	}
	reach += 0.1
	ahead := max(carLong*0.8, 0.4+math.Abs(math.Cos(mostTurn))*reach)
	s.Min, s.Max = scene.Point{-ahead, -reach}, scene.Point{reach, reach}
	if d, ok := longer(r); ok {
		ball, l := r.Ball(), r.Axle.Nominal
		s.Longer = &Longer{By: d, Ball: ball * l / (l + d), Answers: l / (l + d)}
		if free := r.DeckFront.Nominal; free > 0.05 {
			bends := l / (l + d) * (free + d) / free
			s.Longer.Bends = &bends
		}
	}
	return s
}

// longerMost is how much longer a drawbar is offered, m.
const longerMost = 2.0

// longer is how much longer the drawbar must be for the wanted angle, m, to 10 mm;
// ok is false where it is long enough, or no length within 2 m helps.
func longer(r *rig.Rig) (d float64, ok bool) {
	lo, hi := 0.0, longerMost
	if clears(r, 0) || !clears(r, hi) {
		return 0, false
	}
	for range 9 { // to 6 mm
		if mid := (lo + hi) / 2; clears(r, mid) {
			hi = mid
		} else {
			lo = mid
		}
	}
	return math.Ceil(hi*100) / 100, true
}

// clears reports whether, with the drawbar longer by d, nothing touches up to the
// wanted angle.
func clears(r *rig.Rig, d float64) bool {
	most := wanted(r)
	trailer, tall, car, gate := blocks(r, d, framed(r))
	for _, pair := range [2][2][]Block{{trailer, car}, {tall, gate}} {
		for k := range pair[1] {
			reach := farthest(&pair[1][k])
			for i := range pair[0] {
				if pair[0][i].Front >= reach {
					continue
				}
				for a := most; a >= 0; a -= math.Pi / 60 {
					if meet(&pair[0][i], &pair[1][k], a) || meet(&pair[0][i], &pair[1][k], -a) {
						return false
					}
				}
			}
		}
	}
	return true
}

// sides are the ways to turn that differ: one where all stands on the centreline.
func sides(blocks []Block) []float64 {
	for i := range blocks {
		if math.Abs(blocks[i].Left+blocks[i].Right) > 1e-9 {
			return []float64{-1, 1}
		}
	}
	return []float64{1}
}

// turn tells the angle at which the trailer first touches the car and, where it
// is under the wanted one, how much longer the drawbar would have to be.
func turn(r *rig.Rig) (finding.Finding, bool) {
	f := finding.Finding{
		Code:    CodeTurn,
		Stage:   "balance",
		Scope:   r.Scope,
		Subject: "/trailers/" + r.Scope.Trailer,
		Title:   said.Say("Turning"),
		Gate:    finding.GateCut,
		Source:  norms.Practice("car 1.8 m wide at its tail, tailgate 1.3 m, 90° asked for"),
	}
	if r.Vehicle == nil || r.DeckFront == nil || r.Trailer.DeckLength == nil {
		return f, false
	}
	most := wanted(r)
	f.Limit = finding.Exactly(quantity.KindAngle, most)
	t := Articulate(r, 0)
	if d := r.Trailer.Drawbar; (d == nil || d.Beams == 0) && !(t.Angle < most-1e-9) {
		// One beam is no wider than the coupling; an A-frame may meet the bumper's corner.
		if a := articulate(r, 0, true); a.Angle < most-1e-9 {
			f.Outcome, f.Figure = finding.Unknown, finding.Exactly(quantity.KindAngle, a.Angle)
			f.Says = said.Say(
				"How far it turns is not known: an A-frame {drawbar} touches the "+a.On+" at %, a single beam clears. Describe the {drawbar}.",
				said.Of(quantity.KindAngle, a.Angle),
			)
			f.Needs = []finding.Need{
				{
					Path:  "/trailers/" + r.Scope.Trailer + "/drawbar",
					Says:  said.Say("the {drawbar}: one beam or an A-frame"),
					Where: said.Say("One tube to the {coupling}, or two that meet there?"),
				},
			}
			return f, true
		}
	}
	if math.IsInf(t.Angle, 1) {
		f.Outcome, f.Figure = finding.Holds, finding.Exactly(quantity.KindAngle, mostTurn)
		f.Says = said.Say("Turns past % without touching the car.", said.Of(quantity.KindAngle, mostTurn))
		return f, true
	}
	f.Figure = finding.Exactly(quantity.KindAngle, t.Angle)
	margin := (t.Angle - most) / most
	f.Margin = &margin
	what := said.Name(t.By, "the load")
	if t.Angle >= most-1e-9 {
		f.Outcome = finding.Holds
		f.Says = said.Say("Turns to %, then % touches the "+t.On+".", said.Of(quantity.KindAngle, t.Angle), what)
		return f, true
	}
	f.Outcome, f.Tight = finding.Tight, finding.LittleRoom
	f.Says = said.Say("At % % touches the "+t.On+".", said.Of(quantity.KindAngle, t.Angle), what)
	if d, ok := longer(r); ok {
		f.Says = append(
			f.Says,
			said.Say(
				" A {drawbar} % longer lets it turn to %. Watch it when reversing.",
				said.Length(d),
				said.Of(quantity.KindAngle, most),
			)...)
	}
	return f, true
}
