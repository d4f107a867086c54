// Package survey makes of what is taped on a frame where its corners, stands and axles truly are, with the doubt of the
// tape. Formulas: docs/method/workshop.md.
package survey

import (
	"errors"
	"math"

	"gonum.org/v1/gonum/mat"
)

// Errors of readings.
var (
	ErrFew   = errors.New("too few readings")
	ErrTape  = errors.New("a tape without a doubt, or a reading that is no length")
	ErrShape = errors.New("no four corners have these lengths")
)

// Vec is a place: X to the rear, Y to the right, m.
type Vec struct{ X, Y float64 }

func (a Vec) minus(b Vec) Vec             { return Vec{a.X - b.X, a.Y - b.Y} }
func (a Vec) plus(b Vec) Vec              { return Vec{a.X + b.X, a.Y + b.Y} }
func (a Vec) times(k float64) Vec         { return Vec{a.X * k, a.Y * k} }
func (a Vec) norm() float64               { return math.Hypot(a.X, a.Y) }
func (a Vec) dot(b Vec) float64           { return a.X*b.X + a.Y*b.Y }
func (a Vec) cross(b Vec) float64         { return a.X*b.Y - a.Y*b.X }
func between(a, b Vec) (u Vec, l float64) { d := b.minus(a); l = d.norm(); return d.times(1 / l), l }

// Corners of a frame, in the order of their numbers.
const (
	FrontLeft = iota
	FrontRight
	RearRight
	RearLeft
)

// Side is a pair of corners that a tape is laid between.
type Side struct{ From, To int }

// The six lengths of four corners.
var (
	Front     = Side{FrontLeft, FrontRight}
	Right     = Side{FrontRight, RearRight}
	Rear      = Side{RearLeft, RearRight}
	Left      = Side{FrontLeft, RearLeft}
	DiagonalA = Side{FrontLeft, RearRight}
	DiagonalB = Side{FrontRight, RearLeft}
)

// Taped is a length that was read, m.
type Taped struct {
	Side   Side
	Length float64
}

// Square is four corners from their lengths.
type Square struct {
	Corners [4]Vec // the front left one at zero, the front side along Y
	// Skew is how far the rear's middle stands to the right of where it is square to both ends, m, and its doubt (one
	// standard deviation)
	Skew, SkewDoubt float64
	Length          float64 // from the front's middle to the rear's, along, m
	Taper           float64 // the rear wider than the front, m
	TaperDoubt      float64
	Fan             float64 // right side longer than left, m
	FanDoubt        float64
	Misfit          float64 // √(Σr²/σ²) where more is taped than needed, in σ; 0 else
	Residuals       []float64
}

// NewSquare is the corners that fit the readings best by least squares, each reading with the doubt sigma of the tape, m; the
// covariance σ²·(JᵀJ)⁻¹ goes into what follows from them. Errors: ErrFew under five, ErrTape, ErrShape.
func NewSquare(taped []Taped, sigma float64) (*Square, error) {
	if !(sigma > 0) || math.IsInf(sigma, 0) {
		return nil, ErrTape
	}
	got := map[Side]float64{}
	for _, t := range taped {
		if !(t.Length > 0) || math.IsInf(t.Length, 0) {
			return nil, ErrTape
		}
		got[t.Side] = t.Length
	}
	if len(got) < 5 {
		return nil, ErrFew
	}
	// b, then the rear right and the rear left corner
	place := func(p []float64) [4]Vec { return [4]Vec{{}, {0, p[0]}, {p[1], p[2]}, {p[3], p[4]}} }
	mean := func(a, b float64, oka, okb bool) float64 {
		switch {
		case oka && okb:
			return (a + b) / 2
		case oka:
			return a
		}
		return b
	}
	of := func(s Side) (float64, bool) { v, ok := got[s]; return v, ok }
	front, okF := of(Front)
	rear, okR := of(Rear)
	left, okL := of(Left)
	right, okRi := of(Right)
	w, l := mean(front, rear, okF, okR), mean(left, right, okL, okRi)
	p := []float64{w, l, w, l, 0}
	n := len(taped)
	jac, res := mat.NewDense(n, 5, nil), mat.NewVecDense(n, nil)
	fill := func() bool {
		c := place(p)
		for i, t := range taped {
			u, d := between(c[t.Side.From], c[t.Side.To])
			if !(d > 0) {
				return false
			}
			res.SetVec(i, t.Length-d)
			row := [5]float64{}
			add := func(corner int, dx, dy float64) {
				switch corner {
				case FrontRight:
					row[0] += dy
				case RearRight:
					row[1], row[2] = row[1]+dx, row[2]+dy
				case RearLeft:
					row[3], row[4] = row[3]+dx, row[4]+dy
				}
			}
			add(t.Side.To, u.X, u.Y)
			add(t.Side.From, -u.X, -u.Y)
			jac.SetRow(i, row[:])
		}
		return true
	}
	for range 60 {
		if !fill() {
			return nil, ErrShape
		}
		var step mat.VecDense
		if err := step.SolveVec(jac, res); err != nil {
			return nil, ErrShape
		}
		most := 0.0
		for k := range p {
			p[k] += step.AtVec(k)
			most = math.Max(most, math.Abs(step.AtVec(k)))
		}
		if !(most < 1e3) {
			return nil, ErrShape
		}
		if most < 1e-12 {
			break
		}
	}
	if !fill() {
		return nil, ErrShape
	}
	out := &Square{Corners: place(p)}
	sum := 0.0
	for i := range n {
		r := res.AtVec(i)
		out.Residuals = append(out.Residuals, r)
		sum += r * r
	}
	if n > 5 {
		out.Misfit = math.Sqrt(sum) / sigma / math.Sqrt(float64(n-5))
	}
	var normal, inv mat.Dense
	normal.Mul(jac.T(), jac)
	if err := inv.Inverse(&normal); err != nil {
		return nil, ErrShape
	}
	doubt := func(of func(c [4]Vec) float64) (value, sd float64) {
		const h = 1e-6
		value = of(place(p))
		g := mat.NewVecDense(5, nil)
		for k := range p {
			q := append([]float64{}, p...)
			q[k] += h
			up := of(place(q))
			q[k] -= 2 * h
			g.SetVec(k, (up-of(place(q)))/(2*h))
		}
		return value, sigma * math.Sqrt(math.Max(0, mat.Inner(g, &inv, g)))
	}
	out.Skew, out.SkewDoubt = doubt(skew)
	out.Taper, out.TaperDoubt = doubt(func(c [4]Vec) float64 {
		return c[RearRight].minus(c[RearLeft]).norm() - c[FrontRight].minus(c[FrontLeft]).norm()
	})
	out.Fan, out.FanDoubt = doubt(func(c [4]Vec) float64 {
		return c[RearRight].minus(c[FrontRight]).norm() - c[RearLeft].minus(c[FrontLeft]).norm()
	})
	u, _ := ends(out.Corners)
	m := middle(out.Corners)
	out.Length = math.Abs(m.cross(u))
	return out, nil
}

// ends is the mean direction of front and rear, to the right.
func ends(c [4]Vec) (u Vec, l float64) {
	d := c[FrontRight].minus(c[FrontLeft]).plus(c[RearRight].minus(c[RearLeft]))
	l = d.norm()
	return d.times(1 / l), l
}

// middle is the way from the front's middle to the rear's.
func middle(c [4]Vec) Vec {
	return c[RearRight].plus(c[RearLeft]).times(0.5).minus(c[FrontRight].plus(c[FrontLeft]).times(0.5))
}

// skew is how far the rear's middle stands to the right of square.
func skew(c [4]Vec) float64 {
	u, _ := ends(c)
	return middle(c).dot(u)
}

// Diagonals is what the two would read if nothing but the skew were taken out, m: front left to rear right first.
func (s *Square) Diagonals() (a, b float64) {
	u, _ := ends(s.Corners)
	c := s.Corners
	for _, k := range []int{RearRight, RearLeft} {
		c[k] = c[k].minus(u.times(s.Skew))
	}
	return c[RearRight].minus(c[FrontLeft]).norm(), c[RearLeft].minus(c[FrontRight]).norm()
}

// Triangle is the largest 3-4-5 in halves of a unit of 0.1 m that fits two sides, m: its legs along them and the reading to
// expect across; zero where none fits.
func Triangle(a, b float64) (alongA, alongB, across float64) {
	const unit = 0.05
	best := 0.0
	for _, k := range [2][2]float64{{3, 4}, {4, 3}} {
		n := math.Floor(math.Min(a/k[0], b/k[1])/unit + 1e-9)
		if v := n * unit; v > best {
			best, alongA, alongB, across = v, k[0]*v, k[1]*v, 5*v
		}
	}
	return alongA, alongB, across
}

// OffSquare is the angle by which a corner is off square, rad, where legs a and b read c across: more than square is open.
// By the law of cosines; NaN is never given: lengths that make no triangle give ok false.
func OffSquare(a, b, c float64) (angle float64, ok bool) {
	if !(a > 0 && b > 0 && c > 0) || c >= a+b || c <= math.Abs(a-b) {
		return 0, false
	}
	return math.Acos((a*a+b*b-c*c)/(2*a*b)) - math.Pi/2, true
}
