// Package beam solves straight prismatic beams on supports: reactions, greatest
// bending moment, greatest deflection. Euler and Bernoulli; small deflections;
// docs/method/beam.md.
package beam

import (
	"cmp"
	"errors"
	"math"
	"slices"

	"gonum.org/v1/gonum/mat"
)

// Support holds a beam at a place; a fixed one also keeps it from turning.
type Support struct {
	At    float64 // m from the beam's left end
	Fixed bool
}

// Load presses down at a place, N.
type Load struct{ At, Force float64 }

// Beam is a bar of a length (m), stiffness E·I (N·m²), on supports, with point loads
// and a load spread evenly (N/m).
type Beam struct {
	Length    float64
	Stiffness float64
	Supports  []Support
	Loads     []Load
	Spread    float64
}

// Result is how a beam bears its loads: upward reactions (N) and, at fixed
// supports, the moments that hold it (N·m, anticlockwise); the greatest bending
// moment and deflection (m, down) by amount, and where.
type Result struct {
	Reactions    []float64
	Holding      []float64
	Moment       float64
	MomentAt     float64
	Deflection   float64
	DeflectionAt float64
	Spans        []Span
}

// Span is a stretch between neighbouring supports, or beyond the last one, and the greatest
// deflection in it by amount (m, down).
type Span struct {
	From, To   float64
	Free       bool // beyond the last support: it hangs out
	Deflection float64
}

// Length is the span that a limit on its sag reads: of what hangs out twice its length.
func (s Span) Length() float64 {
	if s.Free {
		return 2 * (s.To - s.From)
	}
	return s.To - s.From
}

// Errors of a beam that cannot be solved.
var (
	ErrLoose = errors.New("the beam is not held: it needs two supports, or one that is fixed")
	ErrStiff = errors.New("the beam has no length or no stiffness")
	ErrPlace = errors.New("a support or load is beyond the beam")
	ErrSense = errors.New("the result makes no sense: sizes or distances are far off")
)

// Solve finds the equilibrium by the stiffness method: nodes at ends, supports and
// loads, cubic between them, so that it is exact.
func (b *Beam) Solve() (Result, error) {
	if !(b.Length > 0) || !(b.Stiffness > 0) || math.IsInf(b.Length+b.Stiffness, 0) {
		return Result{}, ErrStiff
	}
	if len(b.Supports) == 0 || len(b.Supports) == 1 && !b.Supports[0].Fixed {
		return Result{}, ErrLoose
	}
	const e = 1e-4 // of its length: places nearer to each other are one, so that the sum stays well posed
	at := []float64{0, b.Length}
	for _, s := range b.Supports {
		at = append(at, s.At)
	}
	for _, l := range b.Loads {
		at = append(at, l.At)
	}
	slices.Sort(at)
	at = slices.CompactFunc(at, func(a, c float64) bool { return math.Abs(a-c) < e*b.Length })
	if at[0] < -1e-9 || at[len(at)-1] > b.Length*(1+1e-9)+1e-9 {
		return Result{}, ErrPlace
	}
	node := func(x float64) int {
		n, _ := slices.BinarySearchFunc(at, x-e*b.Length, func(a, x float64) int { return cmp.Compare(a, x) })
		return min(n, len(at)-1)
	}
	n := 2 * len(at) // deflection (up) and slope of each node
	k := mat.NewDense(n, n, nil)
	f := mat.NewVecDense(n, nil)
	for i := range len(at) - 1 {
		l := at[i+1] - at[i]
		s := b.Stiffness / (l * l * l)
		local := [4][4]float64{
			{12 * s, 6 * s * l, -12 * s, 6 * s * l},
			{6 * s * l, 4 * s * l * l, -6 * s * l, 2 * s * l * l},
			{-12 * s, -6 * s * l, 12 * s, -6 * s * l},
			{6 * s * l, 2 * s * l * l, -6 * s * l, 4 * s * l * l},
		}
		spread := [4]float64{-b.Spread * l / 2, -b.Spread * l * l / 12, -b.Spread * l / 2, b.Spread * l * l / 12}
		for r := range 4 {
			for c := range 4 {
				k.Set(2*i+r, 2*i+c, k.At(2*i+r, 2*i+c)+local[r][c])
			}
			f.SetVec(2*i+r, f.AtVec(2*i+r)+spread[r])
		}
	}
	for _, l := range b.Loads {
		i := 2 * node(l.At)
		f.SetVec(i, f.AtVec(i)-l.Force)
	}
	whole, load := mat.DenseCopyOf(k), mat.VecDenseCopyOf(f)
	hold := func(dof int) {
		for c := range n {
			k.Set(dof, c, 0)
			k.Set(c, dof, 0)
		}
		k.Set(dof, dof, b.Stiffness/(b.Length*b.Length*b.Length))
		f.SetVec(dof, 0)
	}
	for _, s := range b.Supports {
		hold(2 * node(s.At))
		if s.Fixed {
			hold(2*node(s.At) + 1)
		}
	}
	var u mat.VecDense
	if err := u.SolveVec(k, f); err != nil {
		var ill mat.Condition
		if errors.As(err, &ill) {
			return Result{}, ErrSense
		}
		return Result{}, ErrLoose
	}
	var forces mat.VecDense
	forces.MulVec(whole, &u)
	forces.SubVec(&forces, load)
	out := Result{}
	for _, s := range b.Supports {
		out.Reactions = append(out.Reactions, forces.AtVec(2*node(s.At)))
		m := 0.0
		if s.Fixed {
			m = forces.AtVec(2*node(s.At) + 1)
		}
		out.Holding = append(out.Holding, m)
	}
	out.Spans = b.spans()
	span := 0
	for i := range len(at) - 1 {
		for span+1 < len(out.Spans) && (at[i]+at[i+1])/2 > out.Spans[span].To {
			span++
		}
		b.along(
			&out,
			&out.Spans[span],
			at[i],
			at[i+1]-at[i],
			[4]float64{u.AtVec(2 * i), u.AtVec(2*i + 1), u.AtVec(2*i + 2), u.AtVec(2*i + 3)},
		)
	}
	return out, b.closes(&out)
}

// closes holds a result against what any must keep: it is finite, and what presses down is
// borne.
func (b *Beam) closes(out *Result) error {
	sum, most := -b.Spread*b.Length, math.Abs(b.Spread*b.Length)
	for _, l := range b.Loads {
		sum, most = sum-l.Force, most+math.Abs(l.Force)
	}
	for _, r := range out.Reactions {
		sum, most = sum+r, most+math.Abs(r)
	}
	if all := out.Moment + out.Deflection; !(math.Abs(sum) <= 1e-6*most) || math.IsInf(all, 0) || math.IsNaN(all) {
		return ErrSense
	}
	return nil
}

// spans are the stretches between supports and beyond the outer ones.
func (b *Beam) spans() []Span {
	at := []float64{}
	for _, s := range b.Supports {
		at = append(at, s.At)
	}
	slices.Sort(at)
	at = slices.Compact(at)
	var out []Span
	if at[0] > 0 {
		out = append(out, Span{To: at[0], Free: true})
	}
	for i := range len(at) - 1 {
		out = append(out, Span{From: at[i], To: at[i+1]})
	}
	if last := at[len(at)-1]; last < b.Length {
		out = append(out, Span{From: last, To: b.Length, Free: true})
	}
	return out
}

// along takes the greatest moment and deflection of one stretch: the cubic of its
// ends and, for the spread load, −w·x²(l − x)²/(24·EI).
func (b *Beam) along(out *Result, span *Span, from, l float64, u [4]float64) {
	const steps = 40
	for i := range steps + 1 {
		x := l * float64(i) / steps
		t := x / l
		v := u[0]*(1-3*t*t+2*t*t*t) + u[1]*l*(t-2*t*t+t*t*t) + u[2]*(3*t*t-2*t*t*t) + u[3]*l*(t*t*t-t*t)
		v -= b.Spread * x * x * (l - x) * (l - x) / (24 * b.Stiffness)
		m := b.Stiffness * (u[0]*(12*t-6)/(l*l) + u[1]*(6*t-4)/l + u[2]*(6-12*t)/(l*l) + u[3]*(6*t-2)/l)
		m += b.Spread * (-l*l/12 + l*x/2 - x*x/2)
		if math.Abs(m) > math.Abs(out.Moment) {
			out.Moment, out.MomentAt = m, from+x
		}
		if math.Abs(v) > math.Abs(out.Deflection) {
			out.Deflection, out.DeflectionAt = -v, from+x
		}
		if math.Abs(v) > math.Abs(span.Deflection) {
			span.Deflection = -v
		}
	}
}
