package begin

import (
	"math"
	"strconv"

	"zygonos/core/facts/catalogue"
	"zygonos/core/lang/finding"
	"zygonos/core/lang/quantity"
	"zygonos/core/plan"
)

// Sections that a frame begins with: usual ones for a light trailer (practice, C). Each can be changed.
const (
	railSection  = "80 × 40 × 3"
	crossSection = "40 × 40 × 3"
	beamSection  = "80 × 80 × 4"
	crossApart   = 0.6  // m at most between cross members
	headRoom     = 0.05 // m between the ball and what bears the coupling head
)

func profile(name string) plan.Profile {
	for _, c := range catalogue.Commons {
		if c.Name == name {
			return plan.Profile{
				Shape: c.Shape, Height: c.Height, Width: c.Width, Wall: c.Wall, Lip: c.Lip, Material: "s235",
			}
		}
	}
	return plan.Profile{Material: "s235"}
}

// frame lays out a ladder frame under the deck: two rails along its sides, cross members flush between
// them, and a drawbar under those, a single beam or two that run together.
func frame(p *plan.Plan, q *Asked) ([]finding.Op, error) {
	t := p.Trailers[q.Trailer]
	if t.CouplingToDeck == nil {
		return nil, Refusal("Tell first how far the deck begins behind the coupling: the drawbar follows from it.")
	}
	front := float64(t.CouplingToDeck.Value)
	if front < 0.2 {
		return nil, Refusal("The deck begins at the coupling itself: there is no room for a drawbar.")
	}
	long, wide := deck(p, q.Trailer)
	l, half := float64(long), float64(wide)/2
	rail, cross, beam := profile(railSection), profile(crossSection), profile(beamSection)
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
	add("rail-left", "left rail", plan.RoleRail, rail, [3]float64{0, -y}, [3]float64{l, -y})
	add("rail-right", "right rail", plan.RoleRail, rail, [3]float64{0, y}, [3]float64{l, y})
	n := max(2, int(math.Ceil((l-float64(cross.Width))/crossApart))+1)
	inner := y - float64(rail.Width)/2
	at := func(i int) float64 {
		return float64(cross.Width)/2 + float64(i)*(l-float64(cross.Width))/float64(n-1)
	}
	for i := range n {
		id := "cross-" + strconv.Itoa(i+1)
		add(id, "cross member "+strconv.Itoa(i+1), plan.RoleCross, cross, [3]float64{at(i), -inner}, [3]float64{at(i), inner})
	}
	back := at(n / 2)
	if q.Kind == "a-frame" {
		under := -float64(rail.Height)
		for i, side := range [2]string{"left", "right"} {
			sign := float64(2*i - 1)
			add("drawbar-"+side, "drawbar "+side, plan.RoleDrawbar, rail,
				[3]float64{-front + headRoom, sign * float64(rail.Width) / 2, under}, [3]float64{back, sign * y, under})
		}
	} else {
		add("drawbar", "drawbar", plan.RoleDrawbar, beam,
			[3]float64{-front + headRoom, 0, -float64(cross.Height)}, [3]float64{back + float64(cross.Width)/2, 0, -float64(cross.Height)})
	}
	return []finding.Op{{Op: "add", Path: "/trailers/" + q.Trailer + "/frame", Value: plan.Frame{Members: members}}}, nil
}

// mm is a length to a millimetre.
func mm(v float64) quantity.Length { return quantity.Length(math.Round(v*1000) / 1000) }
