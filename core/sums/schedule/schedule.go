// Package schedule lays tasks of work into the hours that a person has: one pair of hands, tasks that wait for one another,
// what dries or is delivered meanwhile. Formulas: docs/method/days.md.
package schedule

import (
	"math"
	"math/rand/v2"
	"slices"

	"gonum.org/v1/gonum/stat/distuv"
)

// Task is a piece of work.
type Task struct {
	After []int      // tasks that come before it
	Hours [3]float64 // of hands: few, likely, many
	Dry   [3]float64 // hours of the clock that it stands after, before what waits for it: few, likely, many
	From  float64    // hour of the clock before which it cannot begin
}

// Slot is a stretch of the clock in which hands are there, hours since the beginning.
type Slot struct{ From, To float64 }

// Span is when a task is worked on: from its first hour to its last; Ready is when what waits for it may begin.
type Span struct {
	From, To, Ready float64
	Done            bool // false: the slots end before it
}

// Plan is a schedule by one set of hours.
type Plan struct {
	Spans  []Span
	End    float64 // when all is ready; +Inf where the slots end before that
	Chain  []int   // the tasks that decide the end, first to last
	Pieces []Piece // the work as it is done, one after another
}

// Piece is a stretch of work on one task.
type Piece struct {
	Task     int
	From, To float64
}

// Lay lays tasks into slots: in each hour the first of the order that may be worked on is; it is put aside at the end of a
// slot and taken up in the next. hours and dry are what each takes. Slots stand in their order and do not overlap; order
// names each task once, after those that it waits for.
func Lay(tasks []Task, order []int, hours, dry []float64, slots []Slot) Plan {
	n := len(tasks)
	p := Plan{Spans: make([]Span, n)}
	left := slices.Clone(hours)
	begun := make([]bool, n)
	why := make([]int, n) // the task that kept each waiting: before it, or on the hands
	for i := range why {
		why[i] = -1
	}
	now, slot, last := 0.0, 0, -1
	for open := n; open > 0; {
		for slot < len(slots) && now >= slots[slot].To-1e-9 {
			slot++
		}
		if slot >= len(slots) {
			break
		}
		now = math.Max(now, slots[slot].From)
		task, next := -1, math.Inf(1)
		for _, i := range order {
			if p.Spans[i].Done {
				continue
			}
			from, waits := tasks[i].From, -1
			for _, b := range tasks[i].After {
				if !p.Spans[b].Done {
					from = math.Inf(1)
					break
				}
				if p.Spans[b].Ready > from {
					from, waits = p.Spans[b].Ready, b
				}
			}
			if from <= now+1e-9 {
				task = i
				if !begun[i] {
					begun[i] = true
					p.Spans[i].From = now
					why[i] = keptBy(&tasks[i], p.Spans, waits, last)
				}
				break
			}
			next = math.Min(next, from)
		}
		if task < 0 { // nothing can be done before that
			if math.IsInf(next, 1) {
				break
			}
			now = next
			continue
		}
		do := math.Min(left[task], slots[slot].To-now)
		// a task of higher rank that becomes free meanwhile waits for this one's end: nobody changes tools in the middle
		p.Pieces = append(p.Pieces, Piece{task, now, now + do})
		now, left[task] = now+do, left[task]-do
		if left[task] <= 1e-9 {
			s := &p.Spans[task]
			s.To, s.Ready, s.Done = now, now+dry[task], true
			last = task
			open--
		} else { // it goes on in the next slot before anything else
			for left[task] > 1e-9 {
				if slot++; slot >= len(slots) {
					break
				}
				now = slots[slot].From
				do := math.Min(left[task], slots[slot].To-now)
				p.Pieces = append(p.Pieces, Piece{task, now, now + do})
				now, left[task] = now+do, left[task]-do
			}
			if left[task] > 1e-9 {
				break
			}
			s := &p.Spans[task]
			s.To, s.Ready, s.Done = now, now+dry[task], true
			last = task
			open--
		}
	}
	end := -1
	for i := range p.Spans {
		if !p.Spans[i].Done {
			p.End = math.Inf(1)
			return p
		}
		if p.Spans[i].Ready > p.End || end < 0 {
			p.End, end = p.Spans[i].Ready, i
		}
	}
	for i := end; i >= 0; i = why[i] {
		p.Chain = append(p.Chain, i)
	}
	slices.Reverse(p.Chain)
	return p
}

// keptBy is what kept a task waiting longest: the one that it waits for, what the hands were at, or its delivery, which is -1.
func keptBy(t *Task, spans []Span, waits, last int) int {
	by, at := -1, t.From
	if waits >= 0 && spans[waits].Ready >= at {
		by, at = waits, spans[waits].Ready
	}
	if last >= 0 && spans[last].To >= at-1e-9 {
		by = last
	}
	return by
}

// Likely lays them by their likely hours.
func Likely(tasks []Task, order []int, slots []Slot) Plan {
	hours, dry := make([]float64, len(tasks)), make([]float64, len(tasks))
	for i := range tasks {
		hours[i], dry[i] = tasks[i].Hours[1], tasks[i].Dry[1]
	}
	return Lay(tasks, order, hours, dry, slots)
}

// Band is a stretch in which a figure lies: in one of ten draws it is under Early, in half under Middle, in nine under Late.
// +Inf where the slots end before that.
type Band struct{ Early, Middle, Late float64 }

// Draws are how often the hours are drawn.
const Draws = 1000

// Bands are those of each task's end and of the whole, by draws from triangles of few, likely and many; the same seed gives
// the same. share is in how many of the draws each task is one of those that decide the end.
func Bands(
	tasks []Task,
	order []int,
	slots []Slot,
	draws int,
	seed uint64,
) (ends []Band, whole Band, share []float64) {
	src := rand.New(rand.NewPCG(seed, 0x5eed))
	n := len(tasks)
	share = make([]float64, n)
	all := make([][]float64, n+1)
	hours, dry := make([]float64, n), make([]float64, n)
	for range draws {
		for i := range tasks {
			hours[i], dry[i] = draw(tasks[i].Hours, src), draw(tasks[i].Dry, src)
		}
		p := Lay(tasks, order, hours, dry, slots)
		for i := range p.Spans {
			to := p.Spans[i].To
			if !p.Spans[i].Done {
				to = math.Inf(1)
			}
			all[i] = append(all[i], to)
		}
		all[n] = append(all[n], p.End)
		for _, i := range p.Chain {
			share[i] += 1 / float64(draws)
		}
	}
	band := func(v []float64) Band {
		slices.Sort(v)
		at := func(q float64) float64 { return v[min(len(v)-1, int(q*float64(len(v))))] }
		return Band{at(0.1), at(0.5), at(0.9)}
	}
	if draws < 1 {
		return make([]Band, n), Band{}, share
	}
	ends = make([]Band, n)
	for i := range ends {
		ends[i] = band(all[i])
	}
	return ends, band(all[n]), share
}

// draw is one from a triangle; a figure without a spread is itself.
func draw(t [3]float64, src *rand.Rand) float64 {
	low, mode, high := t[0], math.Max(t[0], t[1]), math.Max(t[1], t[2])
	if !(high-low > 1e-9) {
		return mode
	}
	return distuv.NewTriangle(low, high, mode, src).Rand()
}
