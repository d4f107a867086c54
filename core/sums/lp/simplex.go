// Package lp solves small linear programmes. It is ours and not gonum's optimize/convex/lp, which asks for
// equations of full rank without a row or a column of zeros (its ErrSingular, ErrZeroRow and
// ErrZeroColumn): balances of forces with slack straps, and readings that say the same twice, have those.
// Nor does that one take a bound on its steps.
package lp

import (
	"errors"
	"math"
)

// Errors of Maximise.
var (
	ErrInfeasible = errors.New("no numbers satisfy the equations")
	ErrUnbounded  = errors.New("it grows without end")
	ErrNoAnswer   = errors.New("the search found no answer in its time")
)

// Tolerances of Maximise, for equations whose terms are near one.
const (
	costZero  = 1e-9 // of a column that would still raise the goal
	pivotZero = 1e-9
	feasible  = 1e-7
)

// Maximise gives the x ≥ 0 with a·x = b (a has a row for each equation) that makes c·x
// greatest: a linear programme by the simplex method on a dense tableau in two phases.
// It takes the steepest column, after a standstill the first (Bland's rule, which cannot go
// round in circles), and ends after a number of steps whatever happens; what it finds is held
// against the equations once more. Errors: ErrInfeasible, ErrUnbounded, ErrNoAnswer.
func Maximise(c []float64, a [][]float64, b []float64) ([]float64, error) {
	n, m := len(c), len(a)
	s := simplex{n: n, wide: n + m + 1, basis: make([]int, m), rows: make([][]float64, m)}
	cells := make([]float64, (m+1)*s.wide)
	s.goal = cells[m*s.wide:]
	for i := range a {
		row := cells[i*s.wide : (i+1)*s.wide]
		sign := 1.0
		if b[i] < 0 {
			sign = -1
		}
		for j, v := range a[i] {
			row[j] = sign * v
		}
		row[s.wide-1] = sign * b[i]
		s.rows[i], s.basis[i] = row, -1
	}
	s.slacks(c)
	artificial := false
	for i := range s.rows {
		if s.basis[i] < 0 { // it begins at an unknown of its own that phase one drives out
			s.rows[i][n+i], s.basis[i], artificial = 1, n+i, true
			for j, v := range s.rows[i] {
				if j < n || j == s.wide-1 {
					s.goal[j] -= v
				}
			}
		}
	}
	if artificial {
		if err := s.run(); err != nil {
			return nil, err
		}
		size := 1.0
		for _, v := range b {
			size = math.Max(size, math.Abs(v))
		}
		if s.goal[s.wide-1] < -feasible*size {
			return nil, ErrInfeasible
		}
		s.driveOut()
	}
	clear(s.goal)
	for j := range c {
		s.goal[j] = -c[j]
	}
	for i, k := range s.basis {
		if k < n && c[k] != 0 {
			for j, v := range s.rows[i] {
				s.goal[j] += c[k] * v
			}
		}
	}
	if err := s.run(); err != nil {
		return nil, err
	}
	x := make([]float64, n)
	for i, k := range s.basis {
		if k < n {
			x[k] = math.Max(0, s.rows[i][s.wide-1])
		}
	}
	for i := range a {
		left, size := -b[i], 1+math.Abs(b[i])
		for j, v := range a[i] {
			left, size = left+v*x[j], size+math.Abs(v*x[j])
		}
		if !(math.Abs(left) <= 10*feasible*size) {
			return nil, ErrNoAnswer
		}
	}
	return x, nil
}

// simplex is a tableau: a row for each equation, its basic unknown, what is right of the
// equation last; the goal's row has what each column would take off it.
type simplex struct {
	n, wide int
	rows    [][]float64
	goal    []float64
	basis   []int
}

// slacks takes for each row an unknown that stands in it alone, costs nothing and is
// positive, as the basic one.
func (s *simplex) slacks(c []float64) {
	for j := range s.n {
		at, count := -1, 0
		for i := range s.rows {
			if s.rows[i][j] != 0 {
				at, count = i, count+1
			}
		}
		if count != 1 || c[j] != 0 || s.basis[at] >= 0 || s.rows[at][j] <= 0 {
			continue
		}
		v := s.rows[at][j]
		for k := range s.rows[at] {
			s.rows[at][k] /= v
		}
		s.basis[at] = j
	}
}

// run pivots until no column raises the goal.
func (s *simplex) run() error {
	still, last := 0, s.goal[s.wide-1]
	for range 50 * (s.n + len(s.rows)) {
		enter, least := -1, -costZero
		for j := range s.n {
			if s.goal[j] < least {
				if enter = j; still > len(s.rows) {
					break // Bland: the first
				}
				least = s.goal[j]
			}
		}
		if enter < 0 {
			return nil
		}
		leave, ratio := -1, math.Inf(1)
		for i, row := range s.rows {
			if row[enter] <= pivotZero {
				continue
			}
			switch q := math.Max(0, row[s.wide-1]) / row[enter]; {
			case math.IsInf(q, 0) || math.IsNaN(q):
				return ErrNoAnswer // the figures have grown beyond what a float tells
			case q < ratio-1e-12:
				leave, ratio = i, q
			case q <= ratio+1e-12 && (still > len(s.rows) && s.basis[i] < s.basis[leave] || still <= len(s.rows) && row[enter] > s.rows[leave][enter]):
				leave = i
			}
		}
		if leave < 0 {
			return ErrUnbounded
		}
		s.pivot(leave, enter)
		if now := s.goal[s.wide-1]; now > last+1e-12 {
			still, last = 0, now
		} else {
			still++
		}
	}
	return ErrNoAnswer
}

// pivot makes column j the basic one of row i.
func (s *simplex) pivot(i, j int) {
	row := s.rows[i]
	v := row[j]
	for k := range row {
		row[k] /= v
	}
	row[j] = 1
	for k, other := range s.rows {
		if k != i {
			lower(other, row, j)
		}
	}
	lower(s.goal, row, j)
	s.basis[i] = j
}

// lower takes a pivot's row off another so that its column vanishes there.
func lower(other, row []float64, j int) {
	f := other[j]
	if f == 0 {
		return
	}
	for k, v := range row {
		other[k] -= f * v
	}
	other[j] = 0
}

// driveOut takes phase one's own unknowns out of the basis; what stays is of an equation
// that follows from others, and is zero.
func (s *simplex) driveOut() {
	for i := range s.rows {
		if s.basis[i] < s.n {
			continue
		}
		best := -1
		for j := range s.n {
			if math.Abs(s.rows[i][j]) > feasible &&
				(best < 0 || math.Abs(s.rows[i][j]) > math.Abs(s.rows[i][best])) {
				best = j
			}
		}
		if best >= 0 {
			s.pivot(i, best)
		}
	}
}
