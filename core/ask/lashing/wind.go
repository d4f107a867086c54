package lashing

import (
	"math"

	"zygonos/core/facts/norms"
	"zygonos/core/lang/finding"
	"zygonos/core/lang/quantity"
	"zygonos/core/lang/said"
	"zygonos/core/rig"
)

// Wind at a hull or a flat sheet: lift and drag on its area, ½ρv²·C·A (ρ 1.25 kg/m³; lift 0.3
// to 1.0 of the area from above, drag 0.6 to 1.1 of the front's; practice, C).
const (
	airDensity = 1.25
	liftMost   = 1.0
	dragMost   = 1.1
)

// Wind is lift and drag at their high end, kg.
func Wind(length, width, height, speed float64) (lift, drag float64) {
	q := airDensity / 2 * speed * speed / quantity.Gravity
	return q * liftMost * length * width, q * dragMost * width * height
}

// wind holds lift and drag against weight and straps.
func wind(r *rig.Rig, l *Load, f finding.Finding) (finding.Finding, bool) {
	flat := l.Item.Shape == "hull" || l.Item.Lot != nil && l.Item.Top-l.Item.Bottom < sheetThick
	if !flat || r.Outing.Speed == nil {
		return f, false
	}
	v := float64(*r.Outing.Speed)
	lift, drag := Wind(l.Item.Length(), l.Item.Right-l.Item.Left, l.Item.Top-l.Item.Bottom, v)
	// Lift and drag draw the straps up to their limits; it rubs only on what presses it: its
	// weight and what the tighteners left.
	down, pressed, back := l.Mass, l.Mass, 0.0
	for i := range l.Ties {
		t := &l.Ties[i]
		pressed += t.down() * t.Pull
		down += t.down() * t.Limit
		for k, e := range t.Ends {
			back += math.Max(0, -e.Along[0]) * t.bears(k, Vector{1, 0, 0})
		}
	}
	back += l.friction() * math.Max(0, pressed-lift)
	f.Code, f.Title, f.Source = CodeWind, said.Say(
		"Wind at speed",
	), norms.Practice(
		"lift up to 1.0 of its area, drag up to 1.1 of its front",
	)
	f.Figure, f.Limit = finding.Exactly(quantity.KindMass, lift), finding.Exactly(quantity.KindMass, down)
	name := said.Name(l.Item.Name, "a load")
	f.Says = said.Say(
		"At % the wind lifts % by up to % and pushes % back; % holds it down.",
		said.Of(quantity.KindSpeed, v),
		name,
		said.Mass(lift),
		said.Mass(drag),
		said.Mass(down),
	)
	switch {
	case lift > down:
		f.Outcome = finding.Fails
		f.Says = append(f.Says, said.Say(" Use straps that take more, or go slower.")...)
	case drag > back:
		f.Outcome = finding.Fails
		f.Figure, f.Limit = finding.Exactly(quantity.KindMass, drag), finding.Exactly(quantity.KindMass, back)
		f.Says = append(
			f.Says,
			said.Say(" Only % holds it back: add a line from its bow forward, or go slower.", said.Mass(back))...)
	case lift > 0.7*down:
		f.Outcome, f.Tight = finding.Tight, finding.LittleRoom
	}
	return f, true
}
