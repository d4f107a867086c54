package rig

import (
	"strings"

	"zygonos/core/lang/finding"
	"zygonos/core/lang/quantity"
	"zygonos/core/lang/said"
	"zygonos/core/plan"
	"zygonos/core/sums/statics"
)

// Cargo is the mass of all that is placed, loads and parts; nil where the mass
// of one of them is not known.
func (r *Rig) Cargo() *span {
	s := span{}
	for i := range r.Items {
		m := r.Items[i].Mass
		if m == nil {
			return nil
		}
		s.Nominal += m.Nominal
		s.Low += m.Low
		s.High += m.High
	}
	return &s
}

// Total is the mass of the loaded trailer; nil where some of it is not known.
func (r *Rig) Total() *span {
	if r.Bears != nil {
		return &r.Bears.Mass
	}
	for _, n := range r.Needs {
		if n.Path != r.trailerPath("/couplingToAxle") && n.Path != r.trailerPath("/couplingToDeck") {
			return nil
		}
	}
	b := statics.Beam{Terms: r.Beam.Terms, Axle: quantity.Exactly(1.0)} // the mass does not depend on L
	if s, ok := b.Solve(); ok {
		return &s.Mass
	}
	return nil
}

// Tyres is how many tyres the trailer stands on.
func (r *Rig) Tyres() int { return 2 * r.Trailer.AxleCount() }

// HeaviestWheel is the most that one wheel may bear, kg: the heavier side's, of the heavier
// axle. It takes Bears.
func (r *Rig) HeaviestWheel() float64 {
	b := r.Bears
	load := b.OnAxle.High / 2
	if b.Left != nil {
		load = max(b.Left.High, b.Right.High)
	}
	if g := r.Group; g != nil && b.OnAxle.Low > 0 {
		return load * g.Heaviest().High / b.OnAxle.Low
	}
	return load / float64(r.Trailer.AxleCount())
}

// Yields is what the whole axle group gives way by, kg/m: its springs where they are known, its tyres where there are none.
func (r *Rig) Yields() (kgPerMetre float64, ok bool) {
	if r.Trailer.Suspension == plan.SpringsNone {
		return tyreRate * float64(r.Trailer.AxleCount()), true
	}
	return r.SpringRate()
}

// MassSteps is the working of the loaded trailer's mass.
func (r *Rig) MassSteps() []finding.Step {
	total := r.Total()
	if total == nil {
		return nil
	}
	step := finding.Step{
		Symbol:  "m",
		Says:    said.Say("the loaded trailer"),
		Formula: "m = Σ mᵢ",
		Result:  finding.Of(quantity.KindMass, *total),
	}
	for i := range r.Beam.Terms {
		t := &r.Beam.Terms[i]
		if t.InMass == 0 {
			continue
		}
		pattern := "%"
		if t.InMass < 0 {
			pattern = "less %, off since the weighing"
		}
		step.Terms = append(step.Terms, finding.StepTerm{
			Symbol: "m" + subscript(i+1), Says: said.Say(pattern, said.Name(termName(t), "a thing")),
			Measure: finding.Of(quantity.KindMass, t.Amount), How: t.How, Path: t.Path,
		})
	}
	return []finding.Step{step}
}

// SupportSteps is the working of what ball and axle bear.
func (r *Rig) SupportSteps() []finding.Step {
	if r.Bears == nil {
		return nil
	}
	moments := finding.Step{
		Symbol: "R_axle", Says: said.Say("moments about the ball"), Formula: "R_axle = Σ mᵢ·xᵢ / L",
		Result: finding.Of(quantity.KindMass, r.Bears.OnAxle),
		Terms: []finding.StepTerm{{Symbol: "L", Says: said.Say("{coupling} to axle"),
			Measure: finding.Of(
				quantity.KindLength,
				r.Beam.Axle,
			), How: string(r.Trailer.CouplingToAxle.How), Path: r.AxlePath}},
	}
	for i := range r.Beam.Terms {
		t := &r.Beam.Terms[i]
		if t.Shift {
			moments.Formula = "R_axle = Σ mᵢ·xᵢ / L − C"
			moments.Terms = append(
				moments.Terms,
				finding.StepTerm{
					Symbol: "C",
					Says: said.Say(
						"from the axles to the ball, without an equaliser, by the ball's height",
					),
					Measure: finding.Of(quantity.KindMass, negative(t.OnAxle)),
					How:     t.How,
					Path:    t.Path,
				},
			)
			continue
		}
		arm := span{
			Nominal: t.OnAxle.Nominal*r.Beam.Axle.Nominal + t.Arm.Nominal,
			Low:     t.OnAxle.Low*r.Beam.Axle.Nominal + t.Arm.Low,
			High:    t.OnAxle.High*r.Beam.Axle.Nominal + t.Arm.High,
		}
		says := said.Say(
			"% (%), behind the ball",
			said.Name(termName(t), "a thing"),
			said.Between(quantity.KindMass, t.Amount),
		)
		if t.InMass == 0 {
			says = said.Say(
				"% (%), counted elsewhere, moved by",
				said.Name(termName(t), "a thing"),
				said.Between(quantity.KindMass, t.Amount),
			)
		}
		moments.Terms = append(moments.Terms, finding.StepTerm{Symbol: "x" + subscript(i+1), Says: says,
			Measure: finding.Of(quantity.KindLength, arm), How: t.How, Path: t.Path})
	}
	ball := finding.Step{
		Symbol: "R_ball", Says: said.Say("{ball load}"), Formula: "R_ball = m − R_axle = Σ mᵢ·(L − xᵢ) / L",
		Result: finding.Of(quantity.KindMass, r.Bears.Ball),
		Terms: []finding.StepTerm{
			{
				Symbol:  "m",
				Says:    said.Say("the loaded trailer"),
				Measure: finding.Of(quantity.KindMass, r.Bears.Mass),
				How:     "computed",
			},
			{
				Symbol:  "R_axle",
				Says:    said.Say("on the axle"),
				Measure: finding.Of(quantity.KindMass, r.Bears.OnAxle),
				How:     "computed",
			},
		},
	}
	if r.Group != nil {
		ball.Formula = "R_ball = m − R_axle"
	}
	return append(r.MassSteps(), moments, ball)
}

// termName tells a trailer's readings apart.
func termName(t *statics.Term) string {
	for end, what := range readingNames {
		if strings.HasSuffix(t.Path, end) {
			return t.Name + what
		}
	}
	return t.Name
}

var readingNames = map[string]string{
	"/empty/ball": ", scale at the ball", "/empty/axle": ", scale at the axle", "/empty/left": ", left wheel", "/empty/right": ", right wheel",
	"/empty/mass": ", empty", "/runningGear": ", axle and wheels", "/ends/front": ", front end", "/ends/rear": ", rear end",
}

var subscripts = []rune("₀₁₂₃₄₅₆₇₈₉")

func subscript(n int) string {
	if n < 10 {
		return string(subscripts[n])
	}
	return subscript(n/10) + string(subscripts[n%10])
}

// SpringRate is how much all springs together bear for each metre that they
// sink, kg/m.
func (r *Rig) SpringRate() (kgPerMetre float64, ok bool) {
	t := r.Trailer
	rating := t.SpringRating
	if rating == nil {
		rating = t.AxleRating
	}
	if t.Sinks == nil || rating == nil || !(*t.Sinks > 0) {
		return 0, false
	}
	return float64(*rating) / float64(*t.Sinks), true
}
