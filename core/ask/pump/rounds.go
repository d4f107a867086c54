package pump

import (
	"math"

	"zygonos/core/facts/norms"
	"zygonos/core/lang/finding"
	"zygonos/core/lang/quantity"
	"zygonos/core/lang/said"
	"zygonos/core/plan"
	"zygonos/core/rig"
)

// rounds is how often the tank is filled for all places, and how long that takes: each place is done from one fill,
// ⌈n/⌊V/v⌋⌉ fills; a place that takes more than the tank takes ⌈v/V⌉ fills by itself.
func rounds(r *rig.Rig, p *plan.Pump, flow float64) (finding.Finding, bool) {
	f := base(r, CodeRounds, "All places", "places")
	m3, known := volume(r)
	if !known || !(m3 > 0) || !(flow > 0) || p.Litres == nil || p.Places == nil {
		return f, false
	}
	each, n := float64(*p.Litres)*litre, *p.Places
	fills := 0
	if at := math.Floor(m3/each + 1e-9); at >= 1 {
		fills = int(math.Ceil(float64(n)/at - 1e-9))
	} else {
		fills = n * int(math.Ceil(each/m3-1e-9))
	}
	whole := each * float64(n)
	pumping := whole / flow
	f.Figure = finding.Exactly(quantity.KindCount, float64(fills))
	f.Says = said.Say(
		"% places take %: % fills and % of pumping.",
		said.Count(n),
		said.Of(quantity.KindFuel, whole/litre),
		said.Count(fills),
		said.Of(quantity.KindTime, pumping),
	)
	if p.Tap != nil {
		f.Says = append(
			f.Says,
			said.Say(" At the tap a fill takes %.", said.Of(quantity.KindTime, m3/(float64(*p.Tap)*perMinute)))...)
	}
	return f, true
}

// Bands of a battery's life (practice, C).
const (
	aged    = 0.8 // of its capacity that an old one has
	steeper = 0.1 // that Peukert's exponent may be more
)

// battery is how long the battery on board runs the pump, by Peukert's law, new and old, against the time that one
// tank takes.
func battery(r *rig.Rig, p *plan.Pump, flow float64) (finding.Finding, bool) {
	f := base(r, CodeBattery, "The battery and the pump", "amps")
	w := r.Trailer.Wiring
	if p.Amps == nil || w == nil || w.Power == nil {
		return f, false
	}
	kind, ok := norms.BatteryOf(w.Power.Kind)
	if !ok || w.Power.Capacity == nil {
		path := "/trailers/" + r.Scope.Trailer + "/wiring/power/"
		need := finding.Need{Path: path + "kind", Says: said.Say("the kind of battery"), Where: said.Say("It is printed on it.")}
		if ok {
			need = finding.Need{Path: path + "capacity", Says: said.Say("the battery's capacity"), Where: said.Say("In ampere-hours, on its label.")}
		}
		f.Lacks("How long the battery runs the pump", need)
		return f, true
	}
	celsius := w.Power.Warmth()
	old := kind
	old.Peukert += steeper
	high := kind.Lasts(*w.Power.Capacity, *p.Amps, celsius) * 3600
	low := old.Lasts(aged**w.Power.Capacity, *p.Amps, celsius) * 3600
	f.Source = norms.Practice("Peukert's law; an old battery has 0.8 of its capacity")
	f.Figure = &finding.Measure{Kind: quantity.KindTime, Value: high, Low: &low, High: &high}
	f.Says = said.Say(
		"The battery runs the pump % to %, old to new.",
		said.Of(quantity.KindTime, low),
		said.Of(quantity.KindTime, high),
	)
	m3, known := volume(r)
	if !known || !(flow > 0) {
		return f, true
	}
	wants := m3 / flow
	f.Limit = finding.Exactly(quantity.KindTime, wants)
	switch {
	case high < wants:
		f.Outcome, f.Tight = finding.Tight, finding.LittleRoom
		f.Says = append(
			f.Says,
			said.Say(" A tank takes %, so the battery is flat before that. Fit a larger battery, or a wider hose that takes less time.",
				said.Of(quantity.KindTime, wants))...)
	case low < wants:
		f.Outcome, f.Tight = finding.Tight, finding.GuessTooRough
		f.Says = append(
			f.Says,
			said.Say(" A tank takes %: an old battery is flat before that.", said.Of(quantity.KindTime, wants))...)
	default:
		f.Says = append(f.Says, said.Say(" A tank takes %.", said.Of(quantity.KindTime, wants))...)
	}
	return f, true
}
