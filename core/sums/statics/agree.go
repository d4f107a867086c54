package statics

import (
	"errors"
	"math"
	"slices"

	"gonum.org/v1/gonum/mat"

	"zygonos/core/lang/quantity"
	"zygonos/core/sums/lp"
)

// Where a scale can stand under a trailer.
type Scale int

// Scales of a reading.
const (
	ScaleBall Scale = iota
	ScaleAxle
	ScaleWhole
	ScaleLeft
	ScaleRight
)

// Reading is what a scale showed of the beam, kg, within its tolerance; At is
// where a scale at the ball stood behind it, m.
type Reading struct {
	Scale Scale
	At    float64
	Range quantity.Range[float64]
}

// coefficients are what a kilogram of each term adds to the reading, least and
// greatest over the places' doubt.
func (b *Beam) coefficients(r Reading) (low, high []float64) {
	low, high = make([]float64, len(b.Terms)), make([]float64, len(b.Terms))
	for i := range b.Terms {
		var c quantity.Range[float64]
		k := 1.0
		for n, l := range []float64{b.Axle.Low, b.Axle.High} {
			switch r.Scale {
			case ScaleAxle:
				c = axleOf(&b.Terms[i], l)
			case ScaleWhole:
				c = massOf(&b.Terms[i], l)
			case ScaleLeft:
				c = wheelOf(b.Track, -1)(&b.Terms[i], l)
			case ScaleRight:
				c = wheelOf(b.Track, 1)(&b.Terms[i], l)
			default:
				// A scale behind the ball stands on a shorter lever and reads more.
				c, k = ballOf(&b.Terms[i], l), l/(l-r.At)
			}
			if n == 0 || c.Low*k < low[i] {
				low[i] = c.Low * k
			}
			if n == 0 || c.High*k > high[i] {
				high[i] = c.High * k
			}
		}
	}
	return low, high
}

// Expect is the range that a reading would have.
func (b *Beam) Expect(r Reading) quantity.Range[float64] {
	low, high := b.coefficients(r)
	nominal := *b
	nominal.Axle = quantity.Exactly(b.Axle.Nominal)
	nominal.Terms = nominal.States().Terms
	mid, _ := nominal.coefficients(r)
	var out quantity.Range[float64]
	for i := range b.Terms {
		a := b.Terms[i].Amount
		out.Nominal += mid[i] * a.Nominal
		out.Low += min(low[i]*a.Low, low[i]*a.High)
		out.High += max(high[i]*a.Low, high[i]*a.High)
	}
	return out
}

// ErrDisagree says that no masses within the guesses agree with all readings.
var ErrDisagree = errors.New("statics: the readings do not agree with the guesses")

// MaxDoubts is how many terms in doubt the programmes take at once.
const MaxDoubts = 40

// ErrTooMany says that more than MaxDoubts terms are in doubt.
var ErrTooMany = errors.New("statics: too many guesses at once")

// Agree gives each amount's range over all that agrees with the readings: for
// some place within its doubt, Σ cᵢpᵢ lies within the reading's tolerance. Each
// end is a linear programme, so exact; a programme that cannot be solved
// leaves its end as it was. The nominal amounts are those nearest to the
// stated ones that agree, each giving way by the square of its doubt.
// The terms of an optional thing are taken to have been there.
func (b *Beam) Agree(readings []Reading) ([]quantity.Range[float64], error) {
	p := b.programme(readings)
	out := make([]quantity.Range[float64], len(b.Terms))
	for i := range b.Terms {
		out[i] = b.Terms[i].Amount
	}
	if len(p.free) > MaxDoubts {
		return out, ErrTooMany
	}
	if ok, err := p.feasible(); err == nil && !ok {
		return out, ErrDisagree
	}
	for v, i := range p.free {
		if x, err := p.extreme(v, 1); err == nil {
			out[i].Low = math.Max(out[i].Low, b.Terms[i].Amount.Low+x)
		} else if errors.Is(err, lp.ErrInfeasible) {
			return out, ErrDisagree
		}
		if x, err := p.extreme(v, -1); err == nil {
			out[i].High = math.Min(out[i].High, b.Terms[i].Amount.Low-x)
		}
		out[i].High = math.Max(out[i].Low, out[i].High)
	}
	nominal := b.nearest(readings, out)
	for i := range out {
		out[i].Nominal = math.Min(math.Max(nominal[i], out[i].Low), out[i].High)
	}
	return out, nil
}

// AgreeShare is the range of the ball's share of the mass over all that agrees
// with the readings: Dinkelbach's iteration, a linear programme a step. Places
// vary within their doubt apart from the readings, so the range errs outward.
func (b *Beam) AgreeShare(readings []Reading) (quantity.Range[float64], error) {
	before, ok := b.Solve()
	if !ok || before.Share == nil {
		return quantity.Range[float64]{}, ErrDisagree
	}
	out := *before.Share
	p := b.programme(readings)
	if len(p.free) > MaxDoubts {
		return out, ErrTooMany
	}
	if ok, err := p.feasible(); err != nil || !ok || len(p.free) == 0 {
		return out, err
	}
	for _, greatest := range []bool{false, true} {
		found := math.Inf(1)
		if greatest {
			found = math.Inf(-1)
		}
		for _, l := range []float64{b.Axle.Low, b.Axle.High} {
			s, err := b.dinkelbach(p, l, greatest)
			if err != nil {
				return out, err
			}
			if greatest {
				found = math.Max(found, s)
			} else {
				found = math.Min(found, s)
			}
		}
		if greatest {
			out.High = math.Min(out.High, found)
		} else {
			out.Low = math.Max(out.Low, found)
		}
	}
	amounts, err := b.Agree(readings)
	if err != nil {
		return out, err
	}
	told := *b
	told.Terms = append([]Term(nil), b.Terms...)
	for i := range told.Terms {
		told.Terms[i].Amount = quantity.Exactly(amounts[i].Nominal)
	}
	if s, ok := told.States().Solve(); ok && s.Share != nil {
		out.Nominal = math.Min(math.Max(s.Share.Nominal, out.Low), out.High)
	}
	return out, nil
}

func (b *Beam) dinkelbach(p programme, l float64, greatest bool) (float64, error) {
	c, d := make([]float64, len(b.Terms)), make([]float64, len(b.Terms))
	lambda, den := 0.0, 0.0
	for i := range b.Terms {
		k := ballOf(&b.Terms[i], l)
		c[i], d[i] = k.Low, b.Terms[i].InMass
		if greatest {
			c[i] = k.High
		}
		lambda += c[i] * b.Terms[i].Amount.Nominal
		den += d[i] * b.Terms[i].Amount.Nominal
	}
	lambda /= den
	sign := 1.0
	if greatest {
		sign = -1
	}
	for range 30 {
		cost := make([]float64, len(p.free))
		for v, i := range p.free {
			cost[v] = sign * (c[i] - lambda*d[i])
		}
		u, err := p.least(cost)
		if err != nil {
			return lambda, err
		}
		num, den := 0.0, 0.0
		for i := range b.Terms {
			num += c[i] * b.Terms[i].Amount.Low
			den += d[i] * b.Terms[i].Amount.Low
		}
		for v, i := range p.free {
			num += c[i] * u[v]
			den += d[i] * u[v]
		}
		if !(den > 0) {
			return lambda, ErrDisagree
		}
		next := num / den
		if math.Abs(next-lambda) < 1e-12 {
			return next, nil
		}
		lambda = next
	}
	return lambda, nil
}

// Suspects lists the terms of which one alone, were its own range not held to,
// would make the readings agree, with the range that they then ask for.
func (b *Beam) Suspects(readings []Reading) map[int]quantity.Range[float64] {
	out := map[int]quantity.Range[float64]{}
	for i := range b.Terms {
		if b.Terms[i].InMass == 0 {
			continue
		}
		free := *b
		free.Terms = append([]Term(nil), b.Terms...)
		free.Terms[i].Amount.Low, free.Terms[i].Amount.High = 0, 20*math.Max(100, b.Terms[i].Amount.High)
		p := free.programme(readings)
		if len(p.free) > MaxDoubts+1 {
			return out
		}
		v := slices.Index(p.free, i)
		least, err := p.extreme(v, 1)
		if err != nil {
			continue
		}
		most, err := p.extreme(v, -1)
		if err != nil {
			continue
		}
		low, high := least, math.Max(least, -most)
		out[i] = quantity.Range[float64]{Nominal: (low + high) / 2, Low: low, High: high}
	}
	return out
}

// programme is the readings as a linear programme in standard form over
// u = p − low ≥ 0 of the terms that are in doubt, with slacks.
type programme struct {
	free []int // terms in doubt
	a    *mat.Dense
	b    []float64
}

func (b *Beam) programme(readings []Reading) programme {
	var p programme
	for i := range b.Terms {
		if b.Terms[i].Amount.High > b.Terms[i].Amount.Low {
			p.free = append(p.free, i)
		}
	}
	n, rows := len(p.free), len(p.free)+2*len(readings)
	p.a, p.b = mat.NewDense(max(1, rows), max(1, n+rows), nil), make([]float64, max(1, rows))
	for v, i := range p.free {
		p.a.Set(v, v, 1)
		p.a.Set(v, n+v, 1)
		p.b[v] = b.Terms[i].Amount.High - b.Terms[i].Amount.Low
	}
	for k, r := range readings {
		low, high := b.coefficients(r)
		most, least := n+2*k, n+2*k+1
		p.b[most], p.b[least] = r.Range.High, r.Range.Low
		for i := range b.Terms {
			p.b[most] -= low[i] * b.Terms[i].Amount.Low
			p.b[least] -= high[i] * b.Terms[i].Amount.Low
		}
		for v, i := range p.free {
			p.a.Set(most, v, low[i])
			p.a.Set(least, v, high[i])
		}
		p.a.Set(most, n+most, 1)
		p.a.Set(least, n+least, -1)
	}
	for row := range rows { // the right side is not negative
		if p.b[row] < 0 {
			p.b[row] = -p.b[row]
			for c := range n + rows {
				p.a.Set(row, c, -p.a.At(row, c))
			}
		}
	}
	return p
}

// feasible reports whether anything agrees; without terms in doubt it is stated by
// the readings themselves.
func (p programme) feasible() (bool, error) {
	if len(p.free) == 0 {
		for row := range p.b {
			slack := 0.0
			_, cols := p.a.Dims()
			for c := range cols {
				slack += p.a.At(row, c)
			}
			if slack < 0 && p.b[row] > 1e-9 {
				return false, nil
			}
		}
		return true, nil
	}
	_, err := p.extreme(0, 1)
	if errors.Is(err, lp.ErrInfeasible) {
		return false, nil
	}
	return err == nil, err
}

// extreme is the least of sign·u of one variable.
func (p programme) extreme(v int, sign float64) (float64, error) {
	cost := make([]float64, len(p.free))
	cost[v] = sign
	u, err := p.least(cost)
	if err != nil {
		return 0, err
	}
	return sign * u[v], nil
}

// least is where Σ cost·u is least.
func (p programme) least(cost []float64) ([]float64, error) {
	rows, cols := p.a.Dims()
	c, a := make([]float64, cols), make([][]float64, rows)
	for i, v := range cost {
		c[i] = -v
	}
	for i := range a {
		a[i] = p.a.RawRowView(i)
	}
	return lp.Maximise(c, a, p.b)
}

// nearest projects the stated amounts onto what agrees, in turn onto each
// reading's band and onto the box, each amount giving way by the square of its
// doubt (Dykstra's way, to rest).
func (b *Beam) nearest(readings []Reading, box []quantity.Range[float64]) []float64 {
	n := len(b.Terms)
	p, weight := make([]float64, n), make([]float64, n)
	for i := range b.Terms {
		p[i] = b.Terms[i].Amount.Nominal
		w := b.Terms[i].Amount.Width()
		weight[i] = w * w
	}
	nominal := *b
	nominal.Axle = quantity.Exactly(b.Axle.Nominal)
	nominal.Terms = nominal.States().Terms
	for range 200 {
		moved := 0.0
		for _, r := range readings {
			c, _ := nominal.coefficients(r)
			sum, norm := 0.0, 0.0
			for i := range p {
				sum += c[i] * p[i]
				norm += c[i] * c[i] * weight[i]
			}
			off := 0.0
			if sum > r.Range.High {
				off = r.Range.High - sum
			} else if sum < r.Range.Low {
				off = r.Range.Low - sum
			}
			if off == 0 || norm == 0 {
				continue
			}
			for i := range p {
				d := off * c[i] * weight[i] / norm
				p[i] += d
				moved = math.Max(moved, math.Abs(d))
			}
		}
		for i := range p {
			p[i] = math.Min(math.Max(p[i], box[i].Low), box[i].High)
		}
		if moved < 1e-9 {
			break
		}
	}
	return p
}
