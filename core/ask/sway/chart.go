package sway

import (
	"math"

	"zygonos/core/facts/norms"
	"zygonos/core/lang/finding"
	"zygonos/core/lang/quantity"
	"zygonos/core/lang/said"
	"zygonos/core/rig"
)

// CodeDamping is the code of the finding on snaking.
const CodeDamping = "sway.damping"

// Speeds, m/s.
const (
	usualSpeed   = 80 / 3.6 // where the outing states none
	compareSpeed = 25.0     // at which arrangements are compared
	slowest      = 10.0
	fastest      = 40.0
	speedStep    = 2.5
)

// Little is the damping ratio under which a snaking trailer takes long to calm:
// each swing is still half as large as the one before (e^(−2πζ) = 0.53).
const Little = 0.1

// Sample is the damping at one speed, with the least and the most that the stated
// bands give at the points looked at.
type Sample struct {
	Speed   float64 `json:"speed"` // m/s
	Damping float64 `json:"damping"`
	Low     float64 `json:"low"`
	High    float64 `json:"high"`
}

// Chart is damping over speed.
type Chart struct {
	Curve    []Sample      `json:"curve"`
	Speed    float64       `json:"speed"` // of the outing
	Now      Sample        `json:"now"`
	Compare  Sample        `json:"compare"`            // at 25 m/s
	Slow     float64       `json:"slow"`               // damping under which snaking dies out slowly
	Little   *Bound        `json:"little,omitempty"`   // speed at which damping falls under a tenth
	Diverges *float64      `json:"diverges,omitempty"` // lowest speed looked at at which a root grows without swinging
	Inertia  float64       `json:"inertia"`            // yaw inertia, kg·m²
	Says     said.Sentence `json:"says"`
}

// Bound is a speed with its band, m/s; what is nil lies beyond the chart.
type Bound struct {
	Value *float64 `json:"value,omitempty"`
	Low   *float64 `json:"low,omitempty"`
	High  *float64 `json:"high,omitempty"`
}

// SpeedOf is the speed at which an outing is judged, m/s.
func SpeedOf(r *rig.Rig) float64 {
	if r.Outing != nil && r.Outing.Speed != nil {
		return float64(*r.Outing.Speed)
	}
	return usualSpeed
}

// Damping is the nominal damping ratio at a speed, m/s; ok is false where the rig
// does not tell enough.
func Damping(r *rig.Rig, speed float64) (zeta float64, ok bool) {
	s, _ := Of(r)
	if s == nil {
		return 0, false
	}
	m := s.Model(Nominal)
	mode, ok := m.At(speed)
	return mode.Damping, ok
}

// Check tells the nominal damping at the outing's speed.
func Check(r *rig.Rig) []finding.Finding {
	if r.Outing == nil || r.Layout == nil {
		return nil
	}
	s, needs := Of(r)
	f := finding.Finding{
		Code:     CodeDamping,
		Stage:    "balance",
		Scope:    r.Scope,
		Subject:  "/trailers/" + r.Scope.Trailer,
		Title:    said.Say("Snaking dies out"),
		Compares: true,
		Outcome:  finding.Unknown,
		Source:   norms.Practice("planar linear model with stated tyre bands; it compares arrangements"),
	}
	v := SpeedOf(r)
	if s == nil {
		f.Needs = needs
		f.Says = said.Say("How it tows is not known yet.")
		if len(needs) > 0 {
			f.Says = append(
				append(said.Say("How it tows is not known: enter "), needs[0].Says...),
				said.Piece{Text: "."},
			)
		}
		return []finding.Finding{f}
	}
	m := s.Model(Nominal)
	mode, ok := m.At(v)
	if !ok {
		f.Says = said.Say("How it tows cannot be worked out from these figures.")
		return []finding.Finding{f}
	}
	f.Outcome, f.Figure, f.Limit = finding.Holds, finding.Exactly(
		quantity.KindShare,
		mode.Damping,
	), finding.Exactly(
		quantity.KindShare,
		Little,
	)
	speed := said.Of(quantity.KindSpeed, v)
	switch {
	case mode.Diverges:
		f.Outcome, f.Tight = finding.Tight, finding.LittleRoom
		f.Says = said.Say(
			"At % the rig would not run straight on its own. Go slower, and take weight off the car's tail.",
			speed,
		)
	case mode.Damping <= 0:
		f.Outcome, f.Tight = finding.Tight, finding.LittleRoom
		f.Says = said.Say("At % snaking would grow. Move heavy things to the axle, put more on the ball, or go slower.", speed)
	case mode.Damping < Little:
		f.Outcome, f.Tight = finding.Tight, finding.LittleRoom
		f.Says = said.Say(
			"At % snaking dies out slowly: each swing is still % of the last. Move heavy things to the axle, or go slower.",
			speed,
			said.Share(math.Exp(-2*math.Pi*mode.Damping/math.Sqrt(1-square(mode.Damping)))),
		)
	case mode.Damping >= 1:
		f.Says = said.Say("At % nothing swings.", speed)
	default:
		f.Says = said.Say(
			"At % each swing is % of the last. That compares arrangements and promises nothing.",
			speed,
			said.Share(math.Exp(-2*math.Pi*mode.Damping/math.Sqrt(1-square(mode.Damping)))),
		)
	}
	f.HasWork, f.Work = true, func() []finding.Step { return steps(r, s, &m, mode, v) }
	return []finding.Finding{f}
}

// ChartOf is damping over speed with its band; nil where the rig does not tell
// enough.
func ChartOf(r *rig.Rig) *Chart {
	s, _ := Of(r)
	if s == nil || r.Outing == nil {
		return nil
	}
	c := &Chart{Speed: SpeedOf(r), Inertia: s.Inertia, Slow: Little}
	models := make([]Model, len(guesses))
	for i, g := range guesses {
		models[i] = s.Model(g)
	}
	at := func(v float64) (p Sample, each []float64, ok bool) {
		p.Speed = v
		for i := range models {
			mode, ok := models[i].At(v)
			if !ok {
				return p, nil, false
			}
			z := mode.Damping
			if i == 0 {
				p.Damping, p.Low, p.High = z, z, z
				if mode.Diverges && (c.Diverges == nil || v < *c.Diverges) {
					c.Diverges = &v
				}
			}
			p.Low, p.High = min(p.Low, z), max(p.High, z)
			each = append(each, z)
		}
		return p, each, true
	}
	var before []float64
	crossing := make([]float64, len(models)) // speed at which each falls under Little; 0: not yet
	for v := slowest; v <= fastest+1e-9; v += speedStep {
		p, each, ok := at(v)
		if !ok {
			return nil
		}
		c.Curve = append(c.Curve, p)
		for i, z := range each {
			switch {
			case crossing[i] > 0 || z >= Little:
			case before == nil || before[i] < Little:
				crossing[i] = v
			default:
				crossing[i] = v - speedStep*(Little-z)/(before[i]-z)
			}
		}
		before = each
	}
	var ok bool
	if c.Now, _, ok = at(c.Speed); !ok {
		return nil
	}
	c.Compare, _, _ = at(compareSpeed)
	c.Little = bound(crossing)
	c.Says = c.says()
	return c
}

// bound is the nominal, least and greatest of the crossings; beyond the chart
// they are not known.
func bound(crossing []float64) *Bound {
	b := &Bound{}
	put := func(v float64) *float64 {
		if v <= 0 {
			return nil
		}
		return &v
	}
	b.Value = put(crossing[0])
	low, high, beyond := math.Inf(1), 0.0, false
	for _, v := range crossing {
		if v <= 0 {
			beyond = true
			continue
		}
		low, high = min(low, v), max(high, v)
	}
	if math.IsInf(low, 1) {
		return nil
	}
	b.Low = &low
	if !beyond {
		b.High = &high
	}
	return b
}

func (c *Chart) says() said.Sentence {
	s := said.Say(
		"Damping at %: % (% to %).",
		said.Of(quantity.KindSpeed, c.Speed),
		said.Share(c.Now.Damping),
		said.Share(c.Now.Low),
		said.Share(c.Now.High),
	)
	switch {
	case c.Little == nil:
		s = append(
			s,
			said.Say(" Over a tenth up to % throughout the band.", said.Of(quantity.KindSpeed, fastest))...)
	case c.Little.Value == nil:
		s = append(
			s,
			said.Say(" Under a tenth above % at the band's worst.", said.Of(quantity.KindSpeed, *c.Little.Low))...)
	default:
		s = append(
			s,
			said.Say(
				" Under a tenth above % (from % at the band's worst).",
				said.Of(quantity.KindSpeed, *c.Little.Value),
				said.Of(quantity.KindSpeed, *c.Little.Low),
			)...)
	}
	if c.Diverges != nil {
		s = append(
			s,
			said.Say(
				" From % it would not run straight on its own.",
				said.Of(quantity.KindSpeed, *c.Diverges),
			)...)
	}
	return s
}

func steps(r *rig.Rig, s *Rig, m *Model, mode Mode, v float64) []finding.Step {
	mass := func(symbol, says string, v float64) finding.StepTerm {
		return finding.StepTerm{
			Symbol:  symbol,
			Says:    said.Say(says),
			Measure: finding.Exactly(quantity.KindMass, v),
			How:     "computed",
		}
	}
	length := func(symbol, says, how string, v float64) finding.StepTerm {
		return finding.StepTerm{
			Symbol:  symbol,
			Says:    said.Say(says),
			Measure: finding.Exactly(quantity.KindLength, v),
			How:     how,
		}
	}
	angle := func(symbol, says string, b span) finding.StepTerm {
		return finding.StepTerm{
			Symbol:  symbol,
			Says:    said.Say(says),
			Measure: finding.Of(quantity.KindAngle, b),
			How:     "typical",
		}
	}
	gyration := math.Sqrt(s.Inertia / s.Mass)
	return []finding.Step{
		{
			Symbol:  "k",
			Says:    said.Say("radius of gyration of the trailer about its centre"),
			Formula: "k = √(J/m);  J = Σ mᵢ((lᵢ² + wᵢ²)/12 + dᵢ²)",
			Result:  finding.Exactly(quantity.KindLength, gyration),
			Terms: []finding.StepTerm{
				mass("m", "the loaded trailer", s.Mass),
				length("x", "its centre behind the ball", "computed", s.Centre),
				length("L", "axle behind the ball", "stated", s.Axle),
			},
		},
		{
			Symbol:  "ζ",
			Says:    said.Say("damping of the least damped swing"),
			Formula: "roots λ of the linear model at constant speed; ζ = −Re λ/|λ|",
			Result:  finding.Exactly(quantity.KindShare, mode.Damping),
			Source:  norms.Practice("docs/method/sway.md"),
			Terms: []finding.StepTerm{
				mass("m_car", "car with people and luggage", s.CarMass),
				length(
					"wb",
					"wheelbase",
					"stated or usual",
					s.Base,
				), length("o", "rear axle to ball", "stated or usual", s.Overhang),
				angle(
					"D_f",
					"car's front {tyre}s, angle per g",
					frontBand,
				), angle("U", "understeer, angle per g", underBand),
				length("σ", "lag of the {tyre}s' side force", "typical", m.Lag),
				{
					Symbol:  "V",
					Says:    said.Say("speed"),
					Measure: finding.Exactly(quantity.KindSpeed, v),
					How:     "stated or usual",
				},
			},
		},
	}
}
