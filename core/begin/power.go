package begin

import (
	"math"

	"zygonos/core/lang/finding"
	"zygonos/core/lang/quantity"
	"zygonos/core/plan"
)

// Figures of an electric winch of which nothing is stated (practice, C).
const (
	winchDraws = 0.13 // A a kg of rated pull
	winchSpeed = 0.03 // m/s
	winchWay   = 4.0  // m of line
)

// power is a battery on board with what the plan knows of that draws on it: the electric winch of an outing, the bed's
// winch or pack, the pump.
func power(p *plan.Plan, q *Asked) ([]finding.Op, error) {
	t := p.Trailers[q.Trailer]
	uses := map[string]plan.PowerUse{}
	for _, o := range p.OutingIDs() {
		l := p.Outings[o].Layouts[q.Trailer]
		if l.Loading == nil || l.Loading.Winch == nil || l.Loading.Winch.Ratio > 0 || l.Loading.Winch.Lever != nil {
			continue
		}
		w := l.Loading.Winch
		if w.Amps == nil && w.Battery == nil { // worked by hand, or nobody said
			continue
		}
		u := plan.PowerUse{Order: 1, Name: "winch", Times: new(2)}
		speed := winchSpeed
		if w.Speed != nil && *w.Speed > 0 {
			speed = float64(*w.Speed)
		}
		u.Minutes = new(math.Ceil(winchWay/speed/60*10) / 10)
		switch {
		case w.Amps != nil:
			u.Amps = w.Amps
		case w.Pull != nil:
			u.Amps = new(math.Round(winchDraws * float64(*w.Pull)))
		}
		at := quantity.Length(math.Max(0.3, math.Abs(float64(w.Back))))
		u.Long = &at
		uses["winch"] = u
		break
	}
	if n := t.Tipping; n != nil && (n.Amps != nil || n.PackAmps != nil) {
		u := plan.PowerUse{Order: len(uses) + 1, Name: "tipping the bed", Amps: n.Amps, Times: new(1)}
		if u.Amps == nil {
			u.Amps = n.PackAmps
		}
		uses["tipping"] = u
	}
	if n := t.Pump; n != nil && n.Amps != nil {
		uses["pump"] = plan.PowerUse{Order: len(uses) + 1, Name: "pump", Amps: n.Amps, Times: new(1)}
	}
	path := "/trailers/" + q.Trailer + "/wiring"
	if t.Wiring == nil {
		return []finding.Op{
			add(path, plan.Wiring{Lamps: map[string]plan.Lamp{}, Power: &plan.Power{Uses: uses}}),
		}, nil
	}
	return []finding.Op{add(path+"/power", plan.Power{Uses: uses})}, nil
}
