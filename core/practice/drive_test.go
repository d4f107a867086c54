package practice_test

import (
	"encoding/json"
	"math"
	"testing"

	"zygonos/core/internal/sample"
	"zygonos/core/practice"
	"zygonos/core/rig"
)

func outline(t *testing.T, sets ...string) practice.Outline {
	t.Helper()
	return practice.OutlineOf(rig.Resolve(sample.Plan(t, sets...), "t", "o"), 0)
}

// chauffeur backs along the ideal way: the point a look ahead gives the trailer's curvature κ = 2·sin α/l, that the hitch angle
// sin γ = −κ·L, and that the wheels.
type chauffeur struct {
	task practice.Task
	o    practice.Outline
}

func (c *chauffeur) hands(s practice.Seen) (steer, pedal int) {
	bx, by := s.X-c.o.Overhang*math.Cos(s.Heading), s.Y-c.o.Overhang*math.Sin(s.Heading)
	h := s.Heading - s.Hitch
	x, y := bx-c.o.Length*math.Cos(h), by-c.o.Length*math.Sin(h)
	const look = 2.2
	// the nearest place on the way, and the point a look farther
	best, at := math.Inf(1), 0.0
	length := 0.0
	way := c.task.Ideal
	for i := 1; i < len(way); i++ {
		dx, dy := way[i][0]-way[i-1][0], way[i][1]-way[i-1][1]
		l := math.Hypot(dx, dy)
		u := math.Max(0, math.Min(l, ((x-way[i-1][0])*dx+(y-way[i-1][1])*dy)/l))
		if d := math.Hypot(x-way[i-1][0]-u*dx/l, y-way[i-1][1]-u*dy/l); d < best {
			best, at = d, length+u
		}
		length += l
	}
	if at > length-0.1 {
		return 0, 0
	}
	px, py, left := 0.0, 0.0, at+look
	for i := 1; i < len(way); i++ {
		dx, dy := way[i][0]-way[i-1][0], way[i][1]-way[i-1][1]
		l := math.Hypot(dx, dy)
		if left <= l || i == len(way)-1 {
			px, py = way[i-1][0]+dx/l*left, way[i-1][1]+dy/l*left
			break
		}
		left -= l
	}
	alpha := math.Remainder(math.Atan2(py-y, px-x)-(h+math.Pi), 2*math.Pi)
	kappa := 2 * math.Sin(alpha) / math.Hypot(px-x, py-y)
	want := math.Asin(math.Max(-0.75, math.Min(0.75, -kappa*c.o.Length)))
	delta := math.Atan(c.o.Wheelbase * (math.Sin(s.Hitch)/c.o.Length - 1.2*(want-s.Hitch)))
	return int(math.Round(100 * math.Max(-1, math.Min(1, delta/c.o.Steer)))), -45
}

// Whoever knows it gets to the end of every task that is backed: room and ways are such that it can be done, to both sides alike,
// and the run is the same when it is driven again.
func TestTasksCanBeDone(t *testing.T) {
	for name, o := range map[string]practice.Outline{
		"plan": outline(t), "nothing told": practice.OutlineOf(nil, 0), "longer": practice.OutlineOf(nil, 0.6),
		"short": outline(t, "/trailers/t/couplingToAxle/value", "1.9", "/trailers/t/couplingToDeck/value", "0.8", "/outings/o/layouts/t/placements", "{}"),
	} {
		scores := map[string]practice.Score{}
		for _, id := range practice.TaskIDs {
			task, ok := practice.TaskOf(id, &o)
			if !ok || len(task.Says) == 0 || !(task.Par > 0) {
				t.Fatalf("%s: %+v", id, task)
			}
			d := practice.NewDriver(task, o)
			if s := d.Next(); s.Touch || s.Done {
				t.Fatalf("%s, %s: it begins in a wall or at its end: %+v", name, id, s)
			}
			if id == "turn" {
				continue
			}
			c := chauffeur{task, o}
			s := d.Next()
			for !d.Ended() && s.Tick < 60*120 {
				steer, pedal := c.hands(s)
				d.Steer(steer, pedal)
				s = d.Next()
			}
			score := d.Score()
			scores[id] = score
			if !score.Done {
				t.Errorf("%s, %s: %+v at %+v, goal %+v", name, id, score, s, task.Goal)
				continue
			}
			seen, again := practice.Replay(task, o, d.Hands())
			a, _ := json.Marshal(score)
			b, _ := json.Marshal(again)
			if string(a) != string(b) || !seen[len(seen)-1].Done {
				t.Errorf("%s, %s: %s, driven again %s", name, id, a, b)
			}
		}
		l, r := scores["bay-left"], scores["bay-right"]
		if l.Points != r.Points || l.Seconds != r.Seconds {
			t.Errorf("%s: left %+v, right %+v", name, l, r)
		}
	}
}

// A replay is the same to the byte, whenever it is made.
func TestReplayIsTheSame(t *testing.T) {
	o := outline(t)
	task, _ := practice.TaskOf("straight", &o)
	hands := []practice.Hand{{Tick: 0, Steer: 3, Pedal: -60}, {Tick: 200, Steer: -20, Pedal: -60}, {Tick: 500, Steer: 0, Pedal: 80}, {Tick: 620, Pedal: 0}}
	a, _ := practice.Replay(task, o, hands)
	b, _ := practice.Replay(task, o, hands)
	x, _ := json.Marshal(a)
	y, _ := json.Marshal(b)
	if string(x) != string(y) || len(a) < 300 {
		t.Errorf("%d and %d bytes", len(x), len(y))
	}
}

// A wall stops it and is counted once, a fold too; nothing goes through.
func TestTouches(t *testing.T) {
	o := practice.OutlineOf(nil, 0)
	task, _ := practice.TaskOf("straight", &o)
	d := practice.NewDriver(task, o)
	d.Steer(100, -100)
	last := practice.Seen{}
	for range 60 * 20 {
		last = d.Next()
	}
	if s := d.Score(); s.Done || s.Touches == 0 || s.Touches > 3 {
		t.Errorf("%+v", s)
	}
	if math.Abs(last.Y) > 2.6 {
		t.Errorf("it went through the kerb: %+v", last)
	}
	d.Steer(0, 100)
	for range 120 {
		last = d.Next()
	}
	if last.Touch && last.Speed == 0 && last.Folded {
		t.Errorf("it cannot get out: %+v", last)
	}
}

// What the plan does not tell is typical and said so; a plan that tells all says nothing.
func TestOutline(t *testing.T) {
	if o := practice.OutlineOf(nil, 0); len(o.Usual) < 4 || !(o.Critical > 0.2) || o.Critical > o.Touches {
		t.Errorf("%+v", o)
	}
	o := outline(t)
	if len(o.Usual) != 0 || o.Length != 2.5 || o.Wheelbase != 2.5 || o.Overhang != 1 {
		t.Errorf("%+v", o)
	}
	longer := practice.OutlineOf(rig.Resolve(sample.Plan(t), "t", "o"), 0.6)
	if longer.Length != 3.1 || longer.Critical <= o.Critical && longer.Critical < longer.Touches {
		t.Errorf("%+v", longer)
	}
}
