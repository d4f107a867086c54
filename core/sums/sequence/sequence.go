// Package sequence orders steps of work that wait for one another, so that the work is turned over as seldom as can be.
// Formulas: docs/method/order.md.
package sequence

import (
	"errors"
	"fmt"
	"math"

	"gonum.org/v1/gonum/graph/simple"
	"gonum.org/v1/gonum/graph/topo"
)

// Side is how the work lies for a step.
type Side int

// The sides.
const (
	Any  Side = iota
	Up        // as it stands in the end
	Down      // turned over
)

// Step is a step of work.
type Step struct {
	Side  Side
	Tool  string  // that is set up for it
	Hours float64 // that it takes
	After []int   // steps that come before it
}

// CycleError are steps that wait for one another in a circle.
type CycleError struct{ Steps []int }

func (e *CycleError) Error() string { return fmt.Sprintf("steps %v wait for one another", e.Steps) }

// ErrStep is a step that waits for one that is not there, or for itself.
var ErrStep = errors.New("a step waits for one that is not there")

// check refuses circles and steps that are not there.
func check(steps []Step) error {
	g := simple.NewDirectedGraph()
	for i := range steps {
		g.AddNode(simple.Node(i))
	}
	for i, s := range steps {
		for _, b := range s.After {
			if b < 0 || b >= len(steps) || b == i {
				return ErrStep
			}
			g.SetEdge(g.NewEdge(simple.Node(b), simple.Node(i)))
		}
	}
	_, err := topo.Sort(g)
	var circles topo.Unorderable
	if errors.As(err, &circles) {
		out := &CycleError{}
		for _, n := range circles[0] {
			out.Steps = append(out.Steps, int(n.ID()))
		}
		return out
	}
	return err
}

// Circle is a set of steps that wait for one another in a circle; nil where none do.
func Circle(steps []Step) []int {
	var circle *CycleError
	if errors.As(check(steps), &circle) {
		return circle.Steps
	}
	return nil
}

// Order is an order in which every step comes after those that it waits for, with the fewest times that the work is turned
// over, the last of them onto its feet; start is the side on which it begins. On each side all is done that can be done
// before it is turned: what is put off never lets another step be done earlier, so no order turns less for that start, and
// both starts are tried. Where several steps are ready the one with the tool at hand goes first, then the first of the list.
// Errors: ErrStep, *CycleError.
func Order(steps []Step) (order []int, turns int, start Side, err error) {
	if err := check(steps); err != nil {
		return nil, 0, Up, err
	}
	best := math.MaxInt
	for _, s := range [2]Side{Up, Down} {
		o, n := from(steps, s)
		if n < best {
			order, turns, start, best = o, n, s, n
		}
	}
	return order, turns, start, nil
}

// from is the order that begins on a side.
func from(steps []Step, side Side) (order []int, turns int) {
	left := make([]int, len(steps)) // that a step still waits for
	next := make([][]int, len(steps))
	for i, s := range steps {
		left[i] = len(s.After)
		for _, b := range s.After {
			next[b] = append(next[b], i)
		}
	}
	done := make([]bool, len(steps))
	tool := ""
	for len(order) < len(steps) {
		at := -1
		for i, s := range steps {
			if done[i] || left[i] > 0 || s.Side != Any && s.Side != side {
				continue
			}
			if at < 0 || s.Tool == tool && steps[at].Tool != tool {
				at = i
			}
		}
		if at < 0 {
			side = 3 - side // Up and Down
			turns++
			continue
		}
		done[at], tool = true, steps[at].Tool
		order = append(order, at)
		for _, n := range next[at] {
			left[n]--
		}
	}
	if side == Down {
		turns++
	}
	return order, turns
}

// Critical is the longest chain of steps that wait for one another, hours, and the chain; what is in none of the longest can
// wait or be done meanwhile. Errors: those of Order.
func Critical(steps []Step) (hours float64, chain []int, err error) {
	order, _, _, err := Order(steps)
	if err != nil {
		return 0, nil, err
	}
	end := make([]float64, len(steps))
	via := make([]int, len(steps))
	last := -1
	for _, i := range order {
		via[i] = -1
		for _, b := range steps[i].After {
			if via[i] < 0 || end[b] > end[via[i]] {
				via[i] = b
			}
		}
		if via[i] >= 0 {
			end[i] = end[via[i]]
		}
		end[i] += math.Max(0, steps[i].Hours)
		if last < 0 || end[i] > end[last] {
			last = i
		}
	}
	for i := last; i >= 0; i = via[i] {
		chain = append([]int{i}, chain...)
	}
	if last < 0 {
		return 0, nil, nil
	}
	return end[last], chain, nil
}
