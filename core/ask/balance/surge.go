package balance

import (
	"zygonos/core/facts/norms"
	"zygonos/core/goods"
	"zygonos/core/lang/finding"
	"zygonos/core/lang/quantity"
	"zygonos/core/lang/said"
	"zygonos/core/rig"
)

// surges tells how far the fluid of a part-filled tank moves when braking, and
// what that does to the ball: ΔR = m·Δx/L. It compares; the window is judged at
// rest.
func surges(r *rig.Rig) []finding.Finding {
	var out []finding.Finding
	for i := range r.Items {
		it := &r.Items[i]
		if it.Lot != nil && it.Lot.Shape == "heap" && r.Axle != nil && r.Bears != nil {
			out = append(out, settles(r, it)...)
		}
		if it.Lot == nil || it.Lot.Contents == nil || r.Axle == nil {
			continue
		}
		c := it.Lot.Contents
		dx := goods.Surge(it.Length(), it.Top-it.Bottom, c.Fill, goods.SurgeDecel)
		if v := c.Vessel; v != nil && !turned(it) {
			dx = runs(v, c.Fill, goods.SurgeDecel)
		}
		if dx < 0.005 {
			continue
		}
		more := c.Mass.Nominal * dx / r.Axle.Nominal
		f := finding.Finding{
			Code:    CodeSurge,
			Stage:   Stage,
			Scope:   r.Scope,
			Subject: it.Path,
			Title:   said.Say("%", said.Name(it.Name, "A tank")),
			Outcome: finding.Holds,
			Figure: finding.Exactly(
				quantity.KindLength,
				dx,
			),
			Source: norms.Practice("level surface under 0.3 g, each part between baffles by itself"),
		}
		f.Says = said.Say(
			"%, %: braking throws it % forward and puts % more on the ball. Full or empty, it rides steadier.",
			said.Name(it.Name, "The tank"),
			said.Share(c.Fill),
			said.Length(dx),
			said.Mass(more),
		)
		if w := window(r); w != nil && r.Bears != nil && r.Bears.Ball.Nominal+more > w.High {
			f.Outcome, f.Tight = finding.Tight, finding.LittleRoom
		}
		f.HasWork, f.Work = true, func() []finding.Step {
			return []finding.Step{
				{
					Symbol:  "Δx",
					Says:    said.Say("shift of the fluid's centre"),
					Formula: "surface at tan θ = a/g within the walls; Δx = tan θ·l²/(12·h) while it meets neither floor nor lid",
					Result:  f.Figure,
					Terms: []finding.StepTerm{
						{
							Symbol:  "l",
							Says:    said.Say("length of the tank"),
							Measure: finding.Exactly(quantity.KindLength, it.Length()),
							How:     "stated",
						},
						{
							Symbol:  "h",
							Says:    said.Say("depth of the fluid"),
							Measure: finding.Exactly(quantity.KindLength, c.Fill*(it.Top-it.Bottom)),
							How:     "computed",
						},
						{
							Symbol:  "a/g",
							Says:    said.Say("braking"),
							Measure: finding.Exactly(quantity.KindShare, goods.SurgeDecel),
							How:     "rule followed",
						}},
				},
				{
					Symbol:  "ΔR",
					Says:    said.Say("more on the ball"),
					Formula: "ΔR = m·Δx/L",
					Result:  finding.Exactly(quantity.KindMass, more),
					Terms: []finding.StepTerm{
						{
							Symbol:  "m",
							Says:    said.Say("the fluid"),
							Measure: finding.Of(quantity.KindMass, c.Mass),
							How:     "typical",
							Path:    it.Path + "/tank/fill",
						}},
				},
			}
		}
		out = append(out, f)
	}
	return out
}

// steepRamp is the ramp after which a heap is taken to have settled to the back,
// degrees: practice.
const steepRamp = 15.0

// settles tells what a heap that was shaken to the back on a steep ramp takes off
// the ball: its surface is taken to lie level on the ramp, ΔR = −m·Δx/L.
func settles(r *rig.Rig, it *rig.Item) []finding.Finding {
	v, l, w := it.Lot.Volume.Nominal, it.Length(), it.Right-it.Left
	height := it.Top - it.Bottom
	if it.Mass == nil || v <= 0 || l <= 0 || w <= 0 || height <= 0 {
		return nil
	}
	depth := v / (l * w)
	lid := max(height, float64(sideOf(r)))
	dx := goods.Surge(l, lid, min(depth/lid, 0.99), goods.Tan(steepRamp))
	if dx < 0.005 {
		return nil
	}
	less := it.Mass.Nominal * dx / r.Axle.Nominal
	f := finding.Finding{
		Code:    CodeSettle,
		Stage:   Stage,
		Scope:   r.Scope,
		Subject: it.Path,
		Title:   said.Say("%", said.Name(it.Name, "A heap")),
		Outcome: finding.Holds,
		Figure:  finding.Exactly(quantity.KindLength, dx),
		Source:  norms.Practice("surface level on a ramp of 15°"),
	}
	f.Says = said.Say(
		"On a steep ramp, % can settle % back. That takes % off the ball. Board it off, or fill the bed evenly.",
		said.Name(it.Name, "the heap"),
		said.Length(dx),
		said.Mass(less),
	)
	if win := window(r); win != nil && r.Bears.Ball.Nominal-less < win.Low {
		f.Outcome, f.Tight = finding.Tight, finding.LittleRoom
	}
	f.HasWork, f.Work = true, func() []finding.Step {
		return []finding.Step{
			{
				Symbol:  "Δx",
				Says:    said.Say("shift of the heap's centre"),
				Formula: "surface at tan θ within the bed; Δx = tan θ·l²/(12·h) while it meets neither floor nor top",
				Result:  f.Figure,
				Source:  f.Source,
				Terms: []finding.StepTerm{
					{
						Symbol:  "l",
						Says:    said.Say("length of the bed"),
						Measure: finding.Exactly(quantity.KindLength, l),
						How:     "stated",
					},
					{
						Symbol:  "h",
						Says:    said.Say("mean depth"),
						Measure: finding.Exactly(quantity.KindLength, depth),
						How:     "computed",
					}},
			},
			{
				Symbol:  "ΔR",
				Says:    said.Say("less on the ball"),
				Formula: "ΔR = m·Δx/L",
				Result:  finding.Exactly(quantity.KindMass, less),
				Terms: []finding.StepTerm{
					{
						Symbol:  "m",
						Says:    said.Say("the heap"),
						Measure: finding.Of(quantity.KindMass, *it.Mass),
						How:     "stated or typical",
						Path:    it.Path + "/mass",
					}},
			},
		}
	}
	return []finding.Finding{f}
}

func sideOf(r *rig.Rig) quantity.Length {
	if s := r.Trailer.SideHeight; s != nil {
		return *s
	}
	return 0
}
