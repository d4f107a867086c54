// Package circuit solves small direct-current circuits by nodal analysis: wires and contacts, sources with
// their own resistance, filaments whose resistance depends on the voltage, LED units. Formulas:
// docs/method/circuit.md.
package circuit

import (
	"errors"
	"fmt"
	"math"

	"gonum.org/v1/gonum/mat"
)

// Kind says how a part carries current.
type Kind int

// The kinds of parts.
const (
	Resistor Kind = iota
	Source        // Volts behind its own Ohms, + at To
	Filament      // Watts at Volts
	LED           // Watts at Volts, nothing under Threshold; Steady: a constant current over it
)

// Part joins two nodes. Current counts from From to To through it.
type Part struct {
	Kind      Kind
	From, To  int
	Ohms      float64
	Volts     float64 // of a source; rated, of a lamp
	Watts     float64 // rated
	Threshold float64 // V under which an LED unit is dark
	Steady    bool
}

// Circuit is parts between nodes; node 0 is zero volts.
type Circuit struct {
	Nodes int
	Parts []Part
}

// State is how a circuit settles.
type State struct {
	Volts   []float64 // of each node
	Current []float64 // of each part, A
	Power   []float64 // that each part turns to heat and light, W; a source's is what it gives, negative
}

// Errors of a circuit that is not solved. A PartError names a part that makes no sense.
var ErrSettles = errors.New("the circuit does not settle")

// PartError says what is wrong with a part.
type PartError struct {
	Part int
	Says string
}

func (e *PartError) Error() string { return fmt.Sprintf("part %d %s", e.Part, e.Says) }

// Figures of the parts.
const (
	leak      = 1e-12 // S from each node to zero: what hangs in the air stands at zero volts
	cold      = 0.09  // of a hot filament's resistance, cold: an eleventh (practice, B)
	bulbPower = 0.45  // R ∝ V^0.45 (practice, B: 0.4 to 0.5)
	ramp      = 0.5   // V over which a steady LED comes up
	tight     = 1e-10 // A that a node's sum may miss, and
	rounding  = 1e-13 // of what its conductances carry at its voltages
	mostSteps = 400
)

// Solve finds the voltages at which the currents of every node come to zero, by Newton's steps on
//
//	Σ I(V_a − V_b) + V_a·leak = 0
//
// halved as long as they make the sum of squares no smaller. ErrSettles where they do not end.
func (c *Circuit) Solve() (*State, error) {
	for i, p := range c.Parts {
		if err := p.check(c.Nodes); err != "" {
			return nil, &PartError{i, err}
		}
	}
	n := c.Nodes - 1 // unknowns: node 0 stands at zero
	v := make([]float64, c.Nodes)
	if n <= 0 {
		return c.state(v), nil
	}
	sums := make([]float64, n)
	jac := mat.NewDense(n, n, nil)
	c.begin(v, sums, jac)
	off := c.sums(v, sums, jac)
	for range mostSteps {
		var step mat.VecDense
		if err := step.SolveVec(jac, mat.NewVecDense(n, sums)); err != nil && step.Len() == 0 {
			return nil, ErrSettles
		}
		next := make([]float64, c.Nodes)
		better := false
		for scale := 1.0; scale > 1e-6; scale /= 2 {
			for i := range n {
				next[i+1] = v[i+1] - scale*step.AtVec(i)
			}
			if d := c.sums(next, sums, jac); d < off {
				off, better = d, true
				break
			}
		}
		if !better { // as near as figures go
			break
		}
		copy(v, next)
	}
	if off > 1 {
		return nil, ErrSettles
	}
	return c.state(v), nil
}

// begin are the voltages with every lamp at its hot resistance: near to where it settles.
func (c *Circuit) begin(v, sums []float64, jac *mat.Dense) {
	plain := Circuit{Nodes: c.Nodes, Parts: make([]Part, len(c.Parts))}
	for i, p := range c.Parts {
		if p.Kind == Filament || p.Kind == LED {
			p = Part{From: p.From, To: p.To, Ohms: p.Volts * p.Volts / p.Watts}
		}
		plain.Parts[i] = p
	}
	plain.sums(v, sums, jac)
	var step mat.VecDense
	if err := step.SolveVec(jac, mat.NewVecDense(len(sums), sums)); err != nil && step.Len() == 0 {
		return
	}
	for i := range sums {
		v[i+1] = -step.AtVec(i)
	}
}

// sums are the currents that leave each node but 0, with what they change by with every voltage; it gives the
// largest, in what may be missed.
func (c *Circuit) sums(v, sums []float64, jac *mat.Dense) (off float64) {
	jac.Zero()
	may := make([]float64, len(sums))
	for i := range sums {
		sums[i] = leak * v[i+1]
		jac.Set(i, i, leak)
	}
	for i := range c.Parts {
		p := &c.Parts[i]
		amps, slope := p.current(v[p.From] - v[p.To])
		add := func(node, other int, sign float64) {
			if node == 0 {
				return
			}
			sums[node-1] += sign * amps
			may[node-1] += rounding * (math.Abs(amps) + slope*(math.Abs(v[p.From])+math.Abs(v[p.To])))
			jac.Set(node-1, node-1, jac.At(node-1, node-1)+slope)
			if other > 0 {
				jac.Set(node-1, other-1, jac.At(node-1, other-1)-slope)
			}
		}
		add(p.From, p.To, 1)
		add(p.To, p.From, -1)
	}
	for i, s := range sums {
		off = math.Max(off, math.Abs(s)/(tight+may[i]))
	}
	return off
}

// current is a part's at a voltage from its From to its To, and how it changes with that.
func (p *Part) current(v float64) (amps, slope float64) {
	switch p.Kind {
	case Source: // from To's side it lifts From's voltage by Volts
		return (v + p.Volts) / p.Ohms, 1 / p.Ohms
	case Filament:
		hot := p.Volts * p.Volts / p.Watts
		x := math.Abs(v) / p.Volts
		if r := math.Pow(x, bulbPower); r > cold {
			amps = v / (hot * r)
			return amps, (1 - bulbPower) / (hot * r)
		}
		return v / (hot * cold), 1 / (hot * cold)
	case LED:
		rated := p.Watts / p.Volts
		over := v - p.Threshold
		if over <= 0 { // it blocks, but for a leak that keeps the sum regular
			return v * leak, leak
		}
		if p.Steady {
			if over >= ramp {
				return rated + (over-ramp)*1e-6, 1e-6
			}
			return rated * over / ramp, rated / ramp
		}
		g := rated / (p.Volts - p.Threshold)
		return g * over, g
	}
	return v / p.Ohms, 1 / p.Ohms
}

// check tells what keeps a part from being one.
func (p *Part) check(nodes int) string {
	positive := func(v float64) bool { return v > 0 && !math.IsInf(v, 0) }
	switch {
	case p.From < 0 || p.To < 0 || p.From >= nodes || p.To >= nodes:
		return "goes to nowhere"
	case p.Kind == Resistor && !positive(p.Ohms), p.Kind == Source && !positive(p.Ohms):
		return "has no resistance"
	case p.Kind == Source && (math.IsNaN(p.Volts) || math.IsInf(p.Volts, 0)):
		return "has no voltage"
	case (p.Kind == Filament || p.Kind == LED) && (!positive(p.Volts) || !positive(p.Watts)):
		return "has no rating"
	case p.Kind == LED && (p.Threshold < 0 || p.Threshold >= p.Volts):
		return "is dark at its own voltage"
	}
	return ""
}

// state is what voltages come to.
func (c *Circuit) state(v []float64) *State {
	s := &State{Volts: v, Current: make([]float64, len(c.Parts)), Power: make([]float64, len(c.Parts))}
	for i := range c.Parts {
		p := &c.Parts[i]
		d := v[p.From] - v[p.To]
		s.Current[i], _ = p.current(d)
		s.Power[i] = d * s.Current[i]
	}
	return s
}

// Bright is how bright a lamp is by what it takes, share of its rated light: a filament's goes by V^3.4, an LED
// unit's by its current.
func (p *Part) Bright(volts, amps float64) float64 {
	switch {
	case p.Kind == Filament:
		return math.Pow(math.Abs(volts)/p.Volts, lightPower)
	case p.Kind == LED:
		return math.Max(0, amps/(p.Watts/p.Volts))
	}
	return 0
}

// lightPower: light ∝ V^3.4 (practice, B).
const lightPower = 3.4

// Copper is the resistance of a copper wire, ohm: 0.0175 Ω·mm²/m at 20 °C, 0.39 % more a kelvin (A).
func Copper(long, mm2, celsius float64) float64 {
	return 0.0175 * long / mm2 * (1 + 0.0039*(celsius-20))
}
