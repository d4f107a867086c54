// Package planks lays boards side by side and divides lengths where something bears the joint. Formulas:
// docs/method/decking.md.
package planks

import (
	"errors"
	"math"
	"slices"
)

// Errors of a layout that makes no sense.
var (
	ErrSize  = errors.New("a width or a gap is zero, negative or not a number")
	ErrBoard = errors.New("a board is wider than the floor")
)

// Rows are boards beside each other over a width, from one edge to the other.
type Rows struct {
	At    []float64 // left edge of each, m
	Wide  []float64 // and its width
	Edge  float64   // width of both edge boards
	Whole int       // boards that keep their full width
}

// Lay lays boards of a width b with a gap g over a width w from the middle outward: k whole boards, and at both
// edges one of
//
//	e = (w − k·b − (k + 1)·g)/2
//
// with the k that leaves the widest edge boards up to b: never one under half a board's width less half a
// gap. Where whole boards fill the width there is no other at the edges.
func Lay(w, b, g float64) (Rows, error) {
	if !(w > 0) || !(b > 0) || !(g >= 0) || math.IsInf(w+b+g, 0) {
		return Rows{}, ErrSize
	}
	if b > w+1e-9 {
		return Rows{}, ErrBoard
	}
	// n boards all whole: n·b + (n − 1)·g = w
	k := math.Floor((w + g + 1e-9) / (b + g))
	if rest := w + g - k*(b+g); rest < 1e-6 {
		return rows(w, b, g, b, int(k)-2), nil
	}
	// the edge boards take what k − 1 whole boards leave: less than two boards and a gap
	k--
	e := (w - k*b - (k+1)*g) / 2
	if e > b+1e-9 { // only where the floor takes less than two boards
		k, e = k+1, (w-(k+1)*b-(k+2)*g)/2
	}
	if e <= 0 { // one board and a gap: two of half the width
		return rows(w, b, g, (w-g)/2, 0), nil
	}
	return rows(w, b, g, e, int(k)), nil
}

// rows puts an edge board, k whole ones and an edge board side by side; k −1 is a single board.
func rows(w, b, g, e float64, k int) Rows {
	if k < 0 {
		return Rows{At: []float64{0}, Wide: []float64{w}, Edge: w, Whole: 1}
	}
	out := Rows{Edge: e, Whole: k}
	x := 0.0
	put := func(wide float64) {
		out.At, out.Wide = append(out.At, x), append(out.Wide, wide)
		x += wide + g
	}
	put(e)
	for range k {
		put(b)
	}
	put(e)
	if math.Abs(e-b) < 1e-9 {
		out.Whole += 2
	}
	return out
}

// Gap is a place where no joint can be: what is longest from the last one on lies beyond the reach of a piece.
type Gap struct {
	From, To float64 // m: a joint is wanted between
}

// Divide cuts a length into pieces no longer than most, each joint at one of the places at which something
// bears it, with as few pieces as can be; of those the one whose joints lie farthest back. Joints nearer than
// 1 mm to an end are none. gaps tells where a place is missing; then the joint is put as far as a piece
// reaches.
func Divide(length, most float64, at []float64) (joints []float64, gaps []Gap) {
	if !(length > 0) || !(most > 0) || math.IsInf(length, 0) {
		return nil, nil
	}
	places := slices.Clone(at)
	slices.Sort(places)
	from := 0.0
	for length-from > most+1e-9 && len(joints) < 1000 {
		best := -1.0
		for _, p := range places {
			if p > from+1e-3 && p <= from+most+1e-9 && p < length-1e-3 {
				best = p
			}
		}
		if best < 0 {
			gaps = append(gaps, Gap{from, from + most})
			best = from + most
		}
		joints = append(joints, best)
		from = best
	}
	return joints, gaps
}

// Stagger is a second division into as many pieces whose joints all lie on other places than those of the first;
// nil where there is none.
func Stagger(length, most float64, at, first []float64) []float64 {
	other := slices.DeleteFunc(slices.Clone(at), func(p float64) bool {
		return slices.ContainsFunc(first, func(j float64) bool { return math.Abs(j-p) < 1e-3 })
	})
	joints, gaps := Divide(length, most, other)
	if len(gaps) > 0 || len(joints) != len(first) {
		return nil
	}
	return joints
}

// Swell is by how much a softwood board's width changes for so many points of moisture, m: 0.25 % a point
// across the grain (practice, B).
func Swell(wide, points float64) float64 { return wide * 0.0025 * points }
