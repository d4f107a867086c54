// Package lending makes the card that goes with a trailer that is lent: what it may carry, how to hitch, what to look at, how to
// reverse, in what state it went and came back.
package lending

import (
	"slices"

	"zygonos/core/ask/papers"
	"zygonos/core/ask/towing"
	"zygonos/core/lang/quantity"
	"zygonos/core/lang/said"
	"zygonos/core/plan"
	"zygonos/core/records"
	"zygonos/core/rig"
)

// Card is a borrower's card.
type Card struct {
	Title    said.Piece    `json:"title"`
	Sections []CardSection `json:"sections"`
}

// CardSection is a part of it.
type CardSection struct {
	Name  string          `json:"name"`
	Lines []said.Sentence `json:"lines"`
}

// Of makes the card of a trailer as it stands empty; nil where there is none.
func Of(p *plan.Plan, trailer string) *Card {
	r := rig.Resolve(p, trailer, "")
	if r == nil {
		return nil
	}
	c := &Card{Title: said.Name(r.Trailer.Name, "The trailer")}
	c.carries(r)
	c.hitch(r)
	c.before(r)
	c.road(r)
	c.things(r)
	c.add("Reversing",
		"Hold the wheel at its bottom: move your hand the way the trailer’s tail should go.",
		"A short trailer turns fast: small movements, walking pace, stop and pull forward early.",
		"Get out and look. Nobody stands behind it.")
	c.add("Bring it back",
		"Empty and swept, at the time agreed. Say what was hit, scraped, hot or loose: it helps the next user.")
	return c
}

func (c *Card) add(name string, lines ...string) {
	s := CardSection{Name: name, Lines: []said.Sentence{}}
	for _, l := range lines {
		s.Lines = append(s.Lines, said.Say(l))
	}
	c.Sections = append(c.Sections, s)
}

func (c *Card) last() *CardSection { return &c.Sections[len(c.Sections)-1] }

// carries is what the load label says: payload, fill lines by material, ball, pressure, plug.
func (c *Card) carries(r *rig.Rig) {
	c.add("What it may carry")
	s := c.last()
	for _, l := range papers.Open(r, records.All{}).Label {
		s.Lines = append(s.Lines, slices.Concat(l.Name, said.Say(": "), l.Says))
	}
	if len(s.Lines) == 0 {
		s.Lines = append(s.Lines, said.Say("Not known: read its plate, and load little."))
	}
	s.Lines = append(
		s.Lines,
		said.Say("On the ball: % to % of the laden trailer, within the car’s own limit.",
			said.Of(quantity.KindShare, r.School.Low), said.Of(quantity.KindShare, r.School.High)),
		said.Say(
			"Heavy things low and over the axle, a little more in front of it; tie everything down. Weigh the ball: a bathroom scale and a plank.",
		),
		said.Say(
			"Your car has its own limits for towed weight, {ball load} and {licence}: see its papers; the lower figure counts.",
		),
	)
}

// hitch is how it is coupled.
func (c *Card) hitch(r *rig.Rig) {
	c.add(
		"Hitch it up",
		"Wheels chocked. Lower the {coupling} on the ball, let its lock close, lift at the handle: the car’s tail must rise with it.",
	)
	s := c.last()
	if n := r.Trailer.Chains; n != nil && *n > 0 {
		s.Lines = append(
			s.Lines,
			said.Say("{Chains}: crossed under the {coupling}, to the hitch, short of the ground, with room to turn."),
		)
	} else {
		s.Lines = append(s.Lines, said.Say("Breakaway cable or secondary link: to the hitch, not around the ball’s neck unless its leaflet says so."))
	}
	s.Lines = append(s.Lines,
		said.Say("Plug in. {Jockey wheel} up and clamped, chocks packed, parking brake off."))
}

// before is what to look at each time.
func (c *Card) before(r *rig.Rig) {
	c.add("Before you drive",
		"All lamps with a helper: tail, both turns, brake.",
		"{Tyre}s: pressure, cuts, bulges. Wheel nuts: a wrench on each.",
		"Sides, tailgate and pins closed; straps tight; nothing that can fly.")
	if p := r.Trailer.TyrePressure; p != nil {
		c.last().Lines[1] = said.Say("{Tyre}s: % cold; cuts, bulges. Wheel nuts: a wrench on each.",
			said.Of(quantity.KindPressure, float64(*p)))
	}
}

// road is what to mind under way.
func (c *Card) road(r *rig.Rig) {
	c.add("On the road")
	s := c.last()
	most, known := 0.0, false
	if v, ok := towing.TyreSpeed(r); ok {
		most, known = float64(v), true
	}
	if v := towing.RoadSpeed(r); v != nil && (most == 0 || float64(*v) < most) {
		most = float64(*v)
	}
	if most > 0 {
		s.Lines = append(
			s.Lines,
			said.Say(
				"Not over %, slower in wind and rain; it takes longer to stop.",
				said.Of(quantity.KindSpeed, most),
			),
		)
	} else {
		s.Lines = append(s.Lines, said.Say("Keep to the rule for trailers; slower in wind and rain; it takes longer to stop."))
	}
	if !known {
		s.Lines = append(s.Lines, said.Say("Its {tyre}s' own speed is not known: read the letter on their wall."))
	}
	s.Lines = append(
		s.Lines,
		said.Say(
			"Stop after %: check that hubs are no hotter than your hand can stand, and check straps, nuts, lamps.",
			said.Of(quantity.KindDistance, 25e3),
		),
		said.Say("Its wheels cut the corner. If it snakes: off the throttle, wheel straight, no hard braking."),
	)
}

// things are the notes for what it has: a bed that tips, ramps, a winch.
func (c *Card) things(r *rig.Rig) {
	if r.Trailer.Tipping != nil {
		c.add(
			"The tipping bed",
			"On level firm ground, coupled, tailgate open, nobody beside or behind. Prop it before you reach under. Never drive with it up.",
		)
	}
	ramp, winch := false, false
	for _, p := range r.Plan.Parts {
		ramp = ramp || p.Ramp != nil
	}
	for _, o := range r.Plan.Outings {
		if l := o.Layouts[r.Scope.Trailer].Loading; l != nil {
			ramp, winch = ramp || l.Ramp != "", winch || l.Winch != nil
		}
	}
	if ramp {
		c.add(
			"Ramps",
			"Tied to the trailer so that they cannot slide; the tail propped; drive straight on, at walking pace, alone.",
		)
	}
	if winch {
		c.add(
			"Winch",
			"Gloves. Nobody in line with the rope or strap. It is for pulling, not for holding on the road: tie the load as well.",
		)
	}
}
