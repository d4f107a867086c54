package begin

import (
	"math"
	"strconv"

	"zygonos/core/facts/catalogue"
	"zygonos/core/lang/finding"
	"zygonos/core/lang/quantity"
	"zygonos/core/lang/said"
	"zygonos/core/plan"
	"zygonos/core/sums/section"
)

// What a frame begins with (practice, C); everything can be changed.
const (
	crossApart = 0.6   // m at most between cross members
	headRoom   = 0.05  // m between the ball and what bears the coupling head
	shock      = 2.0   // on the road
	usualGross = 750.0 // kg, where no label tells
	usualBall  = 0.10  // of it
	working    = 235e6 / 1.5
)

// tubes are what a frame begins with, the lightest that bears a moment; a rail is deeper than it is wide.
func tube(moment float64, rail bool) plan.Profile {
	best, least := plan.Profile{}, math.Inf(1)
	for _, c := range catalogue.Commons {
		p := plan.Profile{Shape: c.Shape, Height: c.Height, Width: c.Width, Wall: c.Wall, Material: "s235"}
		s, err := section.Of(
			section.Size{
				Shape: section.Shape(c.Shape),
				H:     float64(c.Height),
				B:     float64(c.Width),
				T:     float64(c.Wall),
			},
		)
		if c.Shape != "tube" || err != nil || c.Wall < 0.003 || rail && (c.Height <= c.Width || c.Height < 0.08) ||
			s.Wy*working < moment {
			continue
		}
		if s.Area < least {
			best, least = p, s.Area
		}
	}
	if math.IsInf(least, 1) { // none bears it: the largest, and the check says so
		last := catalogue.Commons[0]
		for _, c := range catalogue.Commons {
			if c.Shape == "tube" && (!rail || c.Height > c.Width) && c.Height >= last.Height {
				last = c
			}
		}
		best = plan.Profile{
			Shape:    last.Shape,
			Height:   last.Height,
			Width:    last.Width,
			Wall:     last.Wall,
			Material: "s235",
		}
	}
	return best
}

// sides in the order of their sign.
var sides = [2]string{"left", "right"}

// Ladder is a ladder frame under a deck: two rails along its sides, cross members flush between them, and a
// drawbar: a single beam under those (beam), two that run together (a-frame), a beam with bolted cross members
// (kit), or the rails themselves that bend in to the coupling (camper).
type Ladder struct {
	Kind              string
	Cross             int // how many cross members; two at least
	Rail, Rung, Beam  plan.Profile
	long, wide, front float64
	drawbar           string // what the region calls it
}

// NewLadder is what a frame of a kind begins with on a trailer: sections the lightest usual ones that bear by
// docs/method/frame.md, cross members at most 0.6 m apart. The error is a Refusal.
func NewLadder(p *plan.Plan, trailer, kind string) (*Ladder, error) {
	t := p.Trailers[trailer]
	if t.CouplingToDeck == nil {
		return nil, refused(
			p, "First enter how far behind the {coupling} the deck begins: the {drawbar} follows from it.",
		)
	}
	l := &Ladder{Kind: kind, front: float64(t.CouplingToDeck.Value), drawbar: said.Term("Drawbar", p.Region)}
	if l.front < 0.2 {
		return nil, refused(p, "The deck begins at the {coupling} itself: there is no room for a {drawbar}.")
	}
	long, wide := deck(p, trailer)
	l.long, l.wide = float64(long), float64(wide)
	gross := usualGross
	if t.Label != nil {
		gross = float64(t.Label.Value)
	}
	g := gross * shock * quantity.Gravity
	l.Cross = max(2, int(math.Ceil((l.long-0.05)/crossApart))+1)
	// half the load on half the cross members; half of it on a rail that reaches over its springs; the ball
	// load on the free drawbar (docs/method/frame.md)
	l.Rung = tube(g/2/(float64(l.Cross)/2)*l.wide/8, false)
	l.Rail = tube(g/2*l.long/10, true)
	l.Beam = tube(g*usualBall*l.front, false)
	switch kind {
	case "a-frame":
		l.Beam = tube(g*usualBall*l.front/2, true)
	case "camper": // what campers have: few cross members, rails of thin channel, as it is taped
		l.Rail = plan.Profile{Shape: "channel", Height: 0.120, Width: 0.050, Wall: 0.003, Material: "s235"}
		l.Rung = plan.Profile{Shape: "channel", Height: 0.080, Width: 0.040, Wall: 0.003, Material: "s235"}
		l.Cross = max(3, l.Cross/2+1)
	}
	return l, nil
}

// Long is how long the deck is, m.
func (l *Ladder) Long() float64 { return l.long }

// Members lays the frame out.
func (l *Ladder) Members() map[string]plan.Member {
	members := map[string]plan.Member{}
	put := func(id, name string, role plan.Role, pr plan.Profile, from, to [3]float64) {
		at := func(v [3]float64) plan.FramePoint {
			return plan.FramePoint{Back: mm(v[0]), Right: mm(v[1]), Up: mm(v[2])}
		}
		members[id] = plan.Member{
			Order: len(members) + 1, Name: name, Role: role, From: at(from), To: at(to), Profile: pr,
		}
	}
	n := max(2, l.Cross)
	y := l.wide/2 - float64(l.Rail.Width)/2
	put("rail-left", "Left rail", plan.RoleRail, l.Rail, [3]float64{0, -y}, [3]float64{l.long, -y})
	put("rail-right", "Right rail", plan.RoleRail, l.Rail, [3]float64{0, y}, [3]float64{l.long, y})
	inner, broad := y-float64(l.Rail.Width)/2, float64(l.Rung.Width)
	at := func(i int) float64 { return broad/2 + float64(i)*(l.long-broad)/float64(n-1) }
	for i := range n {
		put("cross-"+strconv.Itoa(i+1), "Cross member "+strconv.Itoa(i+1), plan.RoleCross, l.Rung,
			[3]float64{at(i), -inner}, [3]float64{at(i), inner})
	}
	nose, back := -l.front+headRoom, at(n/2)
	for i, side := range sides {
		sign := float64(2*i - 1)
		name := l.drawbar + ", " + side
		switch l.Kind {
		case "a-frame":
			under := -float64(l.Rail.Height)
			put("drawbar-"+side, name, plan.RoleDrawbar, l.Beam,
				[3]float64{nose, sign * float64(l.Beam.Width) / 2, under}, [3]float64{back, sign * y, under})
		case "camper": // from the deck's front each rail bends in
			put("drawbar-"+side, name, plan.RoleDrawbar, l.Rail,
				[3]float64{nose, sign * float64(l.Rail.Width) / 2, 0}, [3]float64{0, sign * y, 0})
		}
	}
	if l.Kind != "a-frame" && l.Kind != "camper" {
		under := -float64(l.Rung.Height)
		put(
			"drawbar",
			l.drawbar,
			plan.RoleDrawbar,
			l.Beam,
			[3]float64{nose, 0, under},
			[3]float64{back + broad/2, 0, under},
		)
	}
	if l.Kind == "kit" { // each end on four bolts in two rows
		for id, m := range members {
			if m.Role == plan.RoleCross {
				m.FromJoint, m.ToJoint = plan.JointBolt, plan.JointBolt
				m.Bolts, m.Bolt, m.BoltGrade, m.BoltGauge = 4, 0.010, "8.8", mm(float64(m.Profile.Height)*0.5)
				members[id] = m
			}
		}
	}
	return members
}

// frame is what a frame of a kind begins as.
func frame(p *plan.Plan, q *Asked) ([]finding.Op, error) {
	l, err := NewLadder(p, q.Trailer, q.Kind)
	if err != nil {
		return nil, err
	}
	return []finding.Op{add("/trailers/"+q.Trailer+"/frame", plan.Frame{Members: l.Members()})}, nil
}

// mm is a length to a millimetre.
func mm(v float64) quantity.Length { return quantity.Length(math.Round(v*1000) / 1000) }
