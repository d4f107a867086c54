// Package learn narrows typical figures by what was weighed and driven. Formulas: docs/method/learning.md.
package learn

import (
	"math"
	"slices"
)

// Reading is a figure that was read, with the standard deviation of its own doubt.
type Reading struct {
	ID    string
	Value float64
	Doubt float64
}

// Prior is what is known before: a typical range, taken as two standard deviations to each side of its middle.
type Prior struct{ Low, High float64 }

func (p Prior) mean() float64 { return (p.Low + p.High) / 2 }

func (p Prior) sd() float64 { return math.Max(0, p.High-p.Low) / 4 }

// Learned is what prior and readings say together: the mean with its band of nine in ten, and which readings it was made of.
type Learned struct {
	Mean, Low, High float64
	SD              float64
	Used            []string
	Out             []string // readings that the others make all but impossible; they are shown and not counted
}

// band90 is how many standard deviations nine in ten lie within.
const band90 = 1.6448536269514722

// outlierAt is how many standard deviations from what the others say a reading may lie.
const outlierAt = 3.0

// leastOthers is how many readings must stand against one before it is left out.
const leastOthers = 2

// Normal is the posterior of a mean under a normal prior, with readings that scatter by spread (the thing itself, from one time
// to the next) and by their own doubts:
//
//	1/s² = 1/s₀² + Σ 1/(τ² + σᵢ²),  m = s²·(m₀/s₀² + Σ yᵢ/(τ² + σᵢ²))
//
// A reading that lies over three standard deviations from what prior and the others say is left out, the farthest first, where
// two others at least stand against it. Readings that are no figure are passed over.
func Normal(p Prior, readings []Reading, spread float64) Learned {
	in := slices.DeleteFunc(slices.Clone(readings), func(r Reading) bool {
		return math.IsNaN(r.Value) || math.IsInf(r.Value, 0) || !(r.Doubt >= 0)
	})
	out := Learned{Used: []string{}, Out: []string{}}
	all := beliefOf(p)
	for _, r := range in {
		all = all.with(r, spread, 1)
	}
	for len(in) > leastOthers {
		worst, far := -1, outlierAt
		for i, r := range in {
			rest := all.with(r, spread, -1)
			s := math.Sqrt(1/rest.weight + spread*spread + r.Doubt*r.Doubt)
			if z := math.Abs(r.Value-rest.mean()) / s; z > far {
				worst, far = i, z
			}
		}
		if worst < 0 {
			break
		}
		out.Out = append(out.Out, in[worst].ID)
		all = all.with(in[worst], spread, -1)
		in = slices.Delete(in, worst, worst+1)
	}
	out.Mean, out.SD = all.mean(), math.Sqrt(1/all.weight)
	out.Low, out.High = out.Mean-band90*out.SD, out.Mean+band90*out.SD
	for _, r := range in {
		out.Used = append(out.Used, r.ID)
	}
	return out
}

// belief is a normal one as its sums: of the weights 1/s², and of them times the figures. least is the variance of the
// surest reading: one that is ten thousand times surer than the prior says no more than that.
type belief struct{ weight, sum, least float64 }

func beliefOf(p Prior) belief {
	s := math.Max(p.sd(), 1e-9)
	return belief{1 / (s * s), p.mean() / (s * s), 1e-8 * s * s}
}

func (b belief) mean() float64 { return b.sum / b.weight }

// with is the belief with a reading counted so many times more: −1 takes it out again.
func (b belief) with(r Reading, spread, times float64) belief {
	w := times / math.Max(spread*spread+r.Doubt*r.Doubt, b.least)
	return belief{b.weight + w, b.sum + w*r.Value, b.least}
}
