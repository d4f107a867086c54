package practice

import (
	"math"

	"zygonos/core/lang/said"
	"zygonos/core/sums/tow"
)

// Task is something to drive.
type Task struct {
	ID    string          `json:"id"`
	Name  string          `json:"name"`
	Says  said.Sentence   `json:"says"`
	Start Pose            `json:"start"`         // of the car's rear axle; the trailer straight behind
	Goal  Area            `json:"goal"`          // in which the trailer's axle is to stand
	Walls [][4][2]float64 `json:"walls"`         // not to be touched, corners in turn
	Ideal [][2]float64    `json:"ideal"`         // the way of the trailer's axle
	Par   float64         `json:"par"`           // s of a driver who knows it
	Pulls int             `json:"pulls"`         // pulls ahead that such a one takes
	Car   bool            `json:"car,omitempty"` // the car's heading counts, not the trailer's
	Slip  *SlipSeen       `json:"slip,omitempty"`
}

// SlipSeen is a ramp that falls to the water against x, as it is drawn: the drive computes level ground.
type SlipSeen struct {
	Top  float64 `json:"top"`  // m, where it begins to fall
	Edge float64 `json:"edge"` // where the water begins
	Half float64 `json:"half"` // half of its width
	Fall float64 `json:"fall"` // share
}

// Pose is a place and a heading, m and rad counter-clockwise from x.
type Pose struct {
	X       float64 `json:"x"`
	Y       float64 `json:"y"`
	Heading float64 `json:"heading"`
}

// Area is where the trailer's axle is to stand: within so much along and across of a place, headed so, within so much.
type Area struct {
	Pose
	Along  float64 `json:"along"`
	Across float64 `json:"across"`
	Turned float64 `json:"turned"` // rad
}

// TaskIDs lists the tasks in their order.
var TaskIDs = []string{"straight", "bay-left", "bay-right", "corner", "water", "wall", "turn"}

// slipFall is how much a slip falls, share: one in eight is usual (practice, C).
const slipFall = 0.125

// TaskOf makes a task for a rig: room and ways by its sizes.
func TaskOf(id string, o *Outline) (Task, bool) {
	wide := math.Max(o.Trailer.Right-o.Trailer.Left, o.Track+0.2)
	long := o.Overhang + o.Length // behind the rear axle to the trailer's axle
	t := Task{ID: id, Walls: [][4][2]float64{}, Goal: Area{Along: 0.8, Across: 0.4, Turned: 6 * math.Pi / 180}}
	wall := func(x0, y0, x1, y1 float64) {
		t.Walls = append(t.Walls, [4][2]float64{{x0, y0}, {x1, y0}, {x1, y1}, {x0, y1}})
	}
	switch id {
	case "straight":
		t.Name, t.Says = "Straight back", said.Say("[30 m] straight back between two {kerb}s.")
		wall(-45, 2.2, 15, 2.6)
		wall(-45, -2.6, 15, -2.2)
		t.Goal.X, t.Par = -30-long, 32
		t.Goal.Along = 1.5
		t.Ideal = [][2]float64{{-long, 0}, {-30 - long, 0}}
	case "bay-left", "bay-right":
		t = bay(t, o, wide, long)
		if id == "bay-right" {
			t = mirrored(t)
			t.Name, t.Says = "Into a bay on the right", said.Say("Back it into the bay on the right.")
		}
	case "corner":
		t.Name, t.Says = "Round a corner", said.Say("Back round the corner of a wall, to the left.")
		r := 6.0
		wall(-40, -3.2, 15, -2.8)
		wall(-8-long, 2.4, 15, 20)
		wall(-40, 2.4, -13.5-long, 20)
		t.Goal.Pose = Pose{-10.75 - long, 12, -math.Pi / 2}
		t.Goal.Along, t.Par, t.Pulls = 1.5, 55, 1
		t.Ideal = append([][2]float64{{-long, 0}}, arc(-10.75-long+r, r, r, -math.Pi/2, -math.Pi)...)
		t.Ideal = append(t.Ideal, [2]float64{-10.75 - long, 12})
	case "water":
		t.Name, t.Says = "Down a ramp to the water", said.Say(
			"Back down the slip, [4 m] wide, until the axle is at the water’s edge.",
		)
		wall(-40, 2, -6, 2.4)
		wall(-40, -2.4, -6, -2)
		t.Start = Pose{4, 1.2, 0.12}
		t.Goal.X, t.Goal.Along, t.Par, t.Pulls = -18-long, 0.7, 40, 1
		t.Ideal = [][2]float64{{-6 - long, 0}, {-18 - long, 0}}
		t.Slip = &SlipSeen{Top: -6, Edge: t.Goal.X, Half: 2, Fall: slipFall}
	case "wall":
		t.Name, t.Says = "Beside a wall", said.Say("Back it to within half a metre of the wall, along it.")
		y := wide/2 + 0.45
		wall(-40, 2.6+y, 15, 3.0+y)
		t.Goal.Pose = Pose{-21 - long, 2.6, 0}
		t.Goal.Across, t.Goal.Along, t.Par, t.Pulls = 0.3, 4, 45, 1
		t.Ideal = [][2]float64{
			{-long, 0},
			{-4 - long, 0.3},
			{-11 - long, 2.3},
			{-15 - long, 2.6},
			{-24 - long, 2.6},
		}
	case "turn":
		t.Name, t.Says = "Turn round in the road", said.Say("Turn car and trailer round between the {kerb}s.")
		wall(-40, 5.5, 40, 5.9)
		wall(-40, -5.9, 40, -5.5)
		t.Goal = Area{Pose: Pose{-long, 0, math.Pi}, Along: 30, Across: 5.5, Turned: 15 * math.Pi / 180}
		t.Car, t.Par, t.Pulls = true, 60, 2
		t.Ideal = [][2]float64{}
	default:
		return t, false
	}
	if t.Ideal == nil {
		t.Ideal = [][2]float64{}
	}
	return t, true
}

// bay lies to the left of the way, at a right angle.
func bay(t Task, _ *Outline, wide, long float64) Task {
	t.Name, t.Says = "Into a bay on the left", said.Say("Back it into the bay on the left.")
	half, deep, near := wide/2+0.8, 6.0, 4.0
	at := -7 - long
	wall := func(x0, y0, x1, y1 float64) {
		t.Walls = append(t.Walls, [4][2]float64{{x0, y0}, {x1, y0}, {x1, y1}, {x0, y1}})
	}
	wall(at+half, near, at+half+6, near+deep)
	wall(at-half-6, near, at-half, near+deep)
	wall(at-half-6, near+deep, at+half+6, near+deep+0.4)
	wall(at-20, -6.4, 25, -6)
	t.Goal.Pose = Pose{at, near + deep*0.5, -math.Pi / 2}
	t.Goal.Along, t.Goal.Across, t.Goal.Turned = 1.2, 0.5, 12*math.Pi/180
	t.Par, t.Pulls = 60, 1
	t.Ideal = append([][2]float64{{-long, 0}}, arc(at+4, 4, 4, -math.Pi/2, -math.Pi)...)
	t.Ideal = append(t.Ideal, [2]float64{at, near + deep*0.5})
	return t
}

// arc is a quarter as points.
func arc(x, y, r, from, to float64) (out [][2]float64) {
	for i := range 9 {
		a := from + (to-from)*float64(i)/8
		out = append(out, [2]float64{x + r*math.Cos(a), y + r*math.Sin(a)})
	}
	return out
}

// mirrored is a task to the other side.
func mirrored(t Task) Task {
	t.Start.Y, t.Start.Heading = -t.Start.Y, -t.Start.Heading
	t.Goal.Y, t.Goal.Heading = -t.Goal.Y, -t.Goal.Heading
	for i := range t.Walls {
		for k := range t.Walls[i] {
			t.Walls[i][k][1] = -t.Walls[i][k][1]
		}
	}
	for i := range t.Ideal {
		t.Ideal[i][1] = -t.Ideal[i][1]
	}
	return t
}

// Hand is what the driver did from a tick on, in hundredths: wheel to the left, pedal ahead.
type Hand struct {
	Tick  int `json:"tick"`
	Steer int `json:"steer"`
	Pedal int `json:"pedal"`
}

// Seen is how it stands at a tick.
type Seen struct {
	Tick    int     `json:"tick"`
	X       float64 `json:"x"`
	Y       float64 `json:"y"`
	Heading float64 `json:"heading"`
	Hitch   float64 `json:"hitch"`
	Steer   float64 `json:"steer"`
	Speed   float64 `json:"speed"`
	Touch   bool    `json:"touch,omitempty"`  // a wall, now
	Folded  bool    `json:"folded,omitempty"` // trailer and car touch, now
	Stuck   bool    `json:"stuck,omitempty"`  // beyond what steering straightens: drive ahead
	Done    bool    `json:"done,omitempty"`
}

// Score is how a run went.
type Score struct {
	Done    bool          `json:"done"`
	Seconds float64       `json:"seconds"`
	Pulls   int           `json:"pulls"`   // times that it was pulled ahead
	Off     float64       `json:"off"`     // m, mean distance of the trailer's axle from the ideal way
	Touches int           `json:"touches"` // of walls, and of the car
	Points  int           `json:"points"`  // 0 to 100
	Says    said.Sentence `json:"says"`
}

// Figures of a run.
const (
	mostTicks  = 60 * 60 * 5 // five minutes
	standing   = 0.03        // m/s
	oneTouch   = 60          // ticks within which touching goes on
	perPull    = 8.0
	perTouch   = 20.0
	perMetre   = 25.0
	perSecond  = 0.5
	mostPoints = 100.0
)

// Driver drives a task tick by tick; the same hands give the same run.
type Driver struct {
	task    Task
	outline Outline
	rig     tow.Rig
	state   tow.State
	tick    int
	hand    Hand
	hands   []Hand
	pulls   int
	sign    float64 // of the last way: −1 in reverse
	touch   bool
	folded  bool
	touches int
	touched int // tick of the last one
	off     float64
	offs    int
	done    bool
}

// NewDriver begins a task.
func NewDriver(t Task, o Outline) *Driver {
	d := &Driver{task: t, outline: o, rig: o.rig()}
	d.state = tow.State{X: t.Start.X, Y: t.Start.Y, Heading: t.Start.Heading}
	return d
}

// Steer takes what the driver does from now on.
func (d *Driver) Steer(steer, pedal int) {
	h := Hand{d.tick, min(100, max(-100, steer)), min(100, max(-100, pedal))}
	if h.Steer == d.hand.Steer && h.Pedal == d.hand.Pedal {
		return
	}
	if n := len(d.hands); n > 0 && d.hands[n-1].Tick == h.Tick {
		d.hands = d.hands[:n-1]
	}
	d.hand = h
	d.hands = append(d.hands, h)
}

// Next goes on by a tick. A wall stops it: it can only go the other way.
func (d *Driver) Next() Seen {
	if d.done || d.tick >= mostTicks {
		return d.seen()
	}
	d.tick++
	in := tow.Input{Steer: float64(d.hand.Steer) / 100, Pedal: float64(d.hand.Pedal) / 100}
	next, folded := d.rig.Step(d.state, in)
	d.folded = folded
	hit := !folded && d.hits(next)
	if hit {
		steer := next.Steer // the wheels still turn
		next = d.state
		next.Speed, next.Steer = 0, steer
	}
	if hit || folded {
		if d.touched == 0 || d.tick-d.touched > oneTouch {
			d.touches++
		}
		d.touched = d.tick
	}
	d.touch = hit
	d.state = next
	if math.Abs(next.Speed) > 0.1 {
		way := math.Copysign(1, next.Speed)
		if way > 0 && d.sign < 0 {
			d.pulls++
		}
		d.sign = way
	}
	if len(d.task.Ideal) > 1 && next.Speed < 0 {
		x, y, _ := d.rig.Trailer(next)
		d.off, d.offs = d.off+apart(d.task.Ideal, x, y), d.offs+1
	}
	d.done = d.there() && math.Abs(next.Speed) < standing && d.hand.Pedal == 0
	return d.seen()
}

// there reports whether the trailer's axle stands in the goal as it should.
func (d *Driver) there() bool {
	x, y, h := d.rig.Trailer(d.state)
	g := &d.task.Goal
	if d.task.Car {
		h = d.state.Heading
	}
	cos, sin := math.Cos(g.Heading), math.Sin(g.Heading)
	along, across := (x-g.X)*cos+(y-g.Y)*sin, -(x-g.X)*sin+(y-g.Y)*cos
	turned := math.Remainder(h-g.Heading, 2*math.Pi)
	return math.Abs(along) <= g.Along && math.Abs(across) <= g.Across && math.Abs(turned) <= g.Turned
}

func (d *Driver) seen() Seen {
	s := &d.state
	return Seen{
		Tick: d.tick, X: fine(s.X), Y: fine(s.Y), Heading: fine(s.Heading), Hitch: fine(s.Hitch), Steer: fine(s.Steer),
		Speed: fine(
			s.Speed,
		), Touch: d.touch, Folded: d.folded, Stuck: math.Abs(s.Hitch) > d.outline.Critical, Done: d.done,
	}
}

func fine(v float64) float64 { return math.Round(v*1e5) / 1e5 }

// Hands are what the driver did so far.
func (d *Driver) Hands() []Hand { return append([]Hand{}, d.hands...) }

// Ended reports whether there is nothing more to drive.
func (d *Driver) Ended() bool { return d.done || d.tick >= mostTicks }

// Score is how it went: a hundred, less 8 for each pull ahead over what a driver who knows it takes, 20 for each touch, 25 for each
// metre off the way on average, half a point for each second over par; none where it did not get there.
func (d *Driver) Score() Score {
	out := Score{Done: d.done, Seconds: float64(d.tick) * tow.Tick, Pulls: d.pulls, Touches: d.touches}
	if d.offs > 0 {
		out.Off = math.Round(d.off/float64(d.offs)*100) / 100
	}
	if !d.done {
		out.Says = said.Say("Not there yet.")
		return out
	}
	p := mostPoints - perPull*float64(
		max(0, d.pulls-d.task.Pulls),
	) - perTouch*float64(
		d.touches,
	) - perMetre*out.Off -
		perSecond*math.Max(
			0,
			out.Seconds-d.task.Par,
		)
	out.Points = int(math.Round(math.Max(0, p)))
	out.Says = said.Say("%: % points.", said.Counted(d.pulls, "pull ahead", "pulls ahead"), said.Count(out.Points))
	if d.touches > 0 {
		out.Says = append(said.Say("Touched %. ", said.Counted(d.touches, "time", "times")), out.Says...)
	}
	return out
}

// Replay drives hands again: what is seen every other tick, and the score.
func Replay(t Task, o Outline, hands []Hand) ([]Seen, Score) {
	d := NewDriver(t, o)
	var out []Seen
	k, idle := 0, 0
	for !d.Ended() {
		for k < len(hands) && hands[k].Tick <= d.tick {
			d.Steer(hands[k].Steer, hands[k].Pedal)
			k++
		}
		s := d.Next()
		if s.Tick%2 == 0 || s.Done {
			out = append(out, s)
		}
		if k >= len(hands) && math.Abs(s.Speed) < 1e-9 && d.hand.Pedal == 0 {
			if idle++; idle > 60 {
				break
			}
		}
	}
	return out, d.Score()
}

// apart is how far a place lies from a way.
func apart(way [][2]float64, x, y float64) float64 {
	best := math.Inf(1)
	for i := 1; i < len(way); i++ {
		a, b := way[i-1], way[i]
		dx, dy := b[0]-a[0], b[1]-a[1]
		l2 := dx*dx + dy*dy
		t := 0.0
		if l2 > 0 {
			t = math.Max(0, math.Min(1, ((x-a[0])*dx+(y-a[1])*dy)/l2))
		}
		best = math.Min(best, math.Hypot(x-a[0]-t*dx, y-a[1]-t*dy))
	}
	return best
}

// hits reports whether car or trailer stand in a wall.
func (d *Driver) hits(s tow.State) bool {
	car := placed(d.outline.Car, s.X, s.Y, s.Heading, 1)
	bx, by := d.rig.Ball(s)
	trailer := placed(d.outline.Trailer, bx, by, s.Heading-s.Hitch, -1)
	for _, w := range d.task.Walls {
		if meet(car, w) || meet(trailer, w) {
			return true
		}
	}
	return false
}

// placed is a box at a place: x goes ahead (1), or behind (−1); y to the right.
func placed(b Box, x, y, heading, way float64) (out [4][2]float64) {
	cos, sin := math.Cos(heading), math.Sin(heading)
	for i, p := range [4][2]float64{{b.Front, b.Left}, {b.Front, b.Right}, {b.Rear, b.Right}, {b.Rear, b.Left}} {
		along, left := p[0]*way, -p[1]
		out[i] = [2]float64{x + along*cos - left*sin, y + along*sin + left*cos}
	}
	return out
}

// meet reports whether two convex quadrangles overlap: no line parallel to a side of either parts them.
func meet(a, b [4][2]float64) bool {
	for _, q := range [2][4][2]float64{a, b} {
		for i := range q {
			j := (i + 1) % 4
			nx, ny := q[j][1]-q[i][1], q[i][0]-q[j][0]
			lo1, hi1, lo2, hi2 := math.Inf(1), math.Inf(-1), math.Inf(1), math.Inf(-1)
			for k := range 4 {
				v, w := a[k][0]*nx+a[k][1]*ny, b[k][0]*nx+b[k][1]*ny
				lo1, hi1, lo2, hi2 = math.Min(lo1, v), math.Max(hi1, v), math.Min(lo2, w), math.Max(hi2, w)
			}
			if hi1 <= lo2 || hi2 <= lo1 {
				return false
			}
		}
	}
	return true
}
