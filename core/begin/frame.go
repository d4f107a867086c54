package begin

import (
	"math"
	"strconv"

	"zygonos/core/facts/catalogue"
	"zygonos/core/lang/finding"
	"zygonos/core/lang/quantity"
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

// frame lays out a ladder frame under the deck: two rails along its sides, cross members flush between
// them, and a drawbar: a single beam under those (beam), two that run together (a-frame), a beam with bolted
// cross members (kit), or the rails themselves that bend in to the coupling (camper).
func frame(p *plan.Plan, q *Asked) ([]finding.Op, error) {
	t := p.Trailers[q.Trailer]
	if t.CouplingToDeck == nil {
		return nil, Refusal("Fill in first how far behind the coupling the deck begins: the drawbar follows from it.")
	}
	front := float64(t.CouplingToDeck.Value)
	if front < 0.2 {
		return nil, Refusal("The deck begins at the coupling itself: there is no room for a drawbar.")
	}
	long, wide := deck(p, q.Trailer)
	l, half := float64(long), float64(wide)/2
	gross := usualGross
	if t.Label != nil {
		gross = float64(t.Label.Value)
	}
	g := gross * shock * quantity.Gravity
	n := max(2, int(math.Ceil((l-0.05)/crossApart))+1)
	// half the load on half the cross members; half of it on a rail that reaches over its springs; the ball
	// load on the free drawbar (docs/method/frame.md)
	cross := tube(g/2/(float64(n)/2)*2*half/8, false)
	rail := tube(g/2*l/10, true)
	if q.Kind == "camper" { // what campers have: few cross members, rails of thin channel, as it is taped
		rail = plan.Profile{Shape: "channel", Height: 0.120, Width: 0.050, Wall: 0.003, Material: "s235"}
		cross = plan.Profile{Shape: "channel", Height: 0.080, Width: 0.040, Wall: 0.003, Material: "s235"}
		n = max(3, n/2+1)
	}
	beam := tube(g*usualBall*front, false)
	if q.Kind == "a-frame" {
		beam = tube(g*usualBall*front/2, true)
	}
	members := map[string]plan.Member{}
	add := func(id, name string, role plan.Role, pr plan.Profile, from, to [3]float64) {
		at := func(v [3]float64) plan.FramePoint {
			return plan.FramePoint{Back: mm(v[0]), Right: mm(v[1]), Up: mm(v[2])}
		}
		members[id] = plan.Member{
			Order: len(members) + 1, Name: name, Role: role, From: at(from), To: at(to), Profile: pr,
		}
	}
	y := half - float64(rail.Width)/2
	add("rail-left", "Left rail", plan.RoleRail, rail, [3]float64{0, -y}, [3]float64{l, -y})
	add("rail-right", "Right rail", plan.RoleRail, rail, [3]float64{0, y}, [3]float64{l, y})
	inner := y - float64(rail.Width)/2
	at := func(i int) float64 {
		return float64(cross.Width)/2 + float64(i)*(l-float64(cross.Width))/float64(n-1)
	}
	for i := range n {
		id := "cross-" + strconv.Itoa(i+1)
		add(
			id,
			"Cross member "+strconv.Itoa(i+1),
			plan.RoleCross,
			cross,
			[3]float64{at(i), -inner},
			[3]float64{at(i), inner},
		)
	}
	back := at(n / 2)
	switch q.Kind {
	case "a-frame":
		under := -float64(rail.Height)
		for i, side := range sides {
			sign := float64(2*i - 1)
			add(
				"drawbar-"+side, "Drawbar, "+side, plan.RoleDrawbar, beam,
				[3]float64{-front + headRoom, sign * float64(beam.Width) / 2, under}, [3]float64{back, sign * y, under},
			)
		}
	case "camper": // the rails themselves run to the coupling: from the deck's front each bends in
		for i, side := range sides {
			sign := float64(2*i - 1)
			add(
				"drawbar-"+side, "Drawbar, "+side, plan.RoleDrawbar, rail,
				[3]float64{-front + headRoom, sign * float64(rail.Width) / 2, 0}, [3]float64{0, sign * y, 0},
			)
		}
	default:
		add("drawbar", "Drawbar", plan.RoleDrawbar, beam,
			[3]float64{-front + headRoom, 0, -float64(cross.Height)}, [3]float64{back + float64(cross.Width)/2, 0, -float64(cross.Height)})
	}
	if q.Kind == "kit" { // each end on four bolts in two rows
		for id, m := range members {
			if m.Role == plan.RoleCross {
				m.FromJoint, m.ToJoint = plan.JointBolt, plan.JointBolt
				m.Bolts, m.Bolt, m.BoltGrade, m.BoltGauge = 4, 0.010, "8.8", mm(float64(m.Profile.Height)*0.5)
				members[id] = m
			}
		}
	}
	return []finding.Op{
		{Op: "add", Path: "/trailers/" + q.Trailer + "/frame", Value: plan.Frame{Members: members}},
	}, nil
}

// mm is a length to a millimetre.
func mm(v float64) quantity.Length { return quantity.Length(math.Round(v*1000) / 1000) }
