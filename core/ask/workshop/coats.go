package workshop

import (
	"fmt"

	"zygonos/core/facts/norms"
	"zygonos/core/lang/said"
	"zygonos/core/plan"
)

// way is how the steel is kept; empty where nothing is chosen.
func (l *list) way() plan.FinishWay {
	if f := l.r.Trailer.Finish; f != nil {
		return f.Way
	}
	return ""
}

// dries is how long a coat stands before the next, hours: by the tin at the air's temperature, else as is usual; nil where
// nothing is chosen.
func (l *list) dries() *[3]float64 {
	f := l.r.Trailer.Finish
	if f == nil {
		return nil
	}
	c, ok := norms.CoatOf(string(f.Way))
	if !ok || c.Recoat[1] == 0 {
		return nil
	}
	slow := 1.0
	if f.Air != nil && *f.Air > 0 {
		slow = norms.Slower(float64(*f.Air))
	}
	d := [3]float64{c.Recoat[0] * slow, c.Recoat[1] * slow, c.Recoat[2] * slow}
	if f.Recoat != nil {
		h := float64(*f.Recoat) / 3600 * slow
		d = [3]float64{h, h * 1.2, h * 2} // a tin's figure is for good air
	}
	return &d
}

// dipSteps send a finished frame to the zinc bath before anything is bolted to it.
func dipSteps(l *list) {
	if l.way() != plan.FinishDip || l.from == plan.FromBought || l.from == plan.FromKit {
		return
	}
	days := [3]float64{4, 8, 15} // practice, C
	if d := l.r.Trailer.Finish.DipDays; d != nil {
		days = [3]float64{*d, *d, *d + 3}
	}
	ends := l.frameEnd()
	l.add(WorkStep{
		ID: "dip", Says: said.Say("To the zinc bath and back; vents open, no plates or rubber on it."), after: ends,
		Minutes: [2]float64{120, 300}, Dry: &[3]float64{24 * days[0], 24 * days[1], 24 * days[2]},
		Why: "Weld nothing afterwards; what is bolted on comes later.", Hazard: "A closed tube bursts in the bath: every hollow needs its vents.",
	})
}

// coats are the last: touched up, or painted in as many coats as the way takes, each after the one before is dry.
func (l *list) coats(all []string) {
	last := WorkStep{
		ID: "paint", Says: said.Say("Paint or oil what still shows; touch up every bare edge."), after: all, Tool: "brush", Side: "up",
		Minutes: [2]float64{60, 240}, Why: "Go round once more with a lamp.",
	}
	f := l.r.Trailer.Finish
	if f == nil {
		l.add(last)
		return
	}
	c, ok := norms.CoatOf(string(f.Way))
	n := c.Coats
	if f.Coats > 0 {
		n = f.Coats
	}
	dry := l.dries()
	if !ok || n < 2 || dry == nil || f.Way == plan.FinishPregal {
		last.Says = said.Say("Touch up every bare edge, weld and hole.")
		last.Dry = dry
		l.add(last)
		return
	}
	before := all
	for k := 1; k < n; k++ {
		id := fmt.Sprintf("coat-%d", k)
		l.add(WorkStep{
			ID: id, Says: said.Say("Coat % of %.", said.Count(k), said.Count(n)), after: before, Tool: "brush", Side: "up",
			Minutes: [2]float64{
				45,
				150,
			}, Dry: dry, Why: "Thin coats dry through; a thick one stays soft.", Hazard: "Air; no flame; skin covered.",
		})
		before = []string{id}
	}
	last.Says, last.after, last.Dry = said.Say("The last coat; touch up every bare edge."), before, dry
	l.add(last)
}
