// Package stow finds where boxes go on a deck so that weight lies as it is
// wanted: no two overlap, the moment along stays within its bounds, and the
// stated cost is least. The cost and the bounds stand in docs/method/stow.md.
//
// Places are measured as taped: Back from the deck's front edge to a box's near
// face, Right from the centreline to its middle.
package stow

import (
	"cmp"
	"math"
	"slices"
)

// Box is a thing to be stowed, m and kg. Mass counts all that rides on it.
type Box struct {
	Length, Width, Height float64
	Mass                  float64
	CentreBack            float64 // of its mass, behind its own front face
	CentreRight           float64 // of its mass, right of its own middle
	Turns                 []int   // allowed: 0, 90, 180, 270
	Fixed                 *Place  // it stays there
	Was                   *Place  // where it stands now: what Moves counts from
	Beside                float64 // m that it may reach beyond either side, its middle on the deck
}

// Place is where a box stands.
type Place struct {
	Back, Right float64
	Turn        int
}

// Block is a part of the deck that is taken: everything higher than Under
// stays clear of it.
type Block struct {
	Front, Rear, Left, Right float64
	Under                    float64
}

// Own is what each box costs by itself.
type Own int

// Each box costs its part of the yaw inertia about Centre, m·d² (kg·m²), or
// what it is carried from where it was, m·s (kg·m).
const (
	Yaw Own = iota
	Moves
)

// Steps are the steps in which an arrangement is judged. What differs by less
// is alike: no owner could measure it. Zero leaves a figure out.
type Steps struct {
	Own   float64 // of the boxes' own sum
	Side  float64 // kg·m of the moment to one side
	Along float64 // kg·m between the moment along and Aim
}

// Problem is a deck and what is to stand on it.
type Problem struct {
	Length, Width float64 // of the deck, m
	Ahead, Behind float64 // m that a box longer than the deck may reach beyond its ends
	Grid          float64 // m; ends and sides of the deck are places too
	Boxes         []Box
	Blocks        []Block

	Moment    float64 // Σ m·x of all else, x behind the deck's front, kg·m
	Side      float64 // Σ m·y of all else, kg·m
	Low, High float64 // bounds of the whole moment along
	Aim       float64 // where it is wanted
	MostSide  float64 // bound of the moment to one side
	Centre    float64 // behind the deck's front, m
	Own       Own
	Start     float64 // what the own sum begins at; a search counts it from its own bound
	Steps     Steps

	// Accept has the last word on an arrangement that would be the best so far;
	// nil accepts all.
	Accept func([]Place) bool
}

// Result is what a search found.
type Result struct {
	Places []Place // nil: none was found
	Cost   int     // steps
	Bound  int     // no arrangement costs less
	Proven bool    // none is better on the grid; without Places: there is none
	Grid   float64 // m; the coarsest that a box was placed on
	Base   float64 // no arrangement's own sum is less; its steps are counted from here
	Nodes  int
}

// candidate is one place that a box may take.
type candidate struct {
	front, rear, left, right float64
	place                    Place
	cost, along, side        float64 // its own share of the cost; m·x; m·y
}

// maxCandidates is how many places of one box are looked at; the grid is
// doubled until they are no more.
const maxCandidates = 2400

const tiny = 1e-9

// candidates lists the places of a box, cheapest first.
func (p *Problem) candidates(b *Box) []candidate {
	out, _ := p.places(b)
	return out
}

// places lists the places of a box, cheapest first, and the grid that they lie on.
func (p *Problem) places(b *Box) (out []candidate, grid float64) {
	if b.Fixed != nil {
		return []candidate{p.candidate(b, *b.Fixed)}, p.Grid
	}
	for grid = p.Grid; ; {
		out := p.onGrid(b, grid)
		if len(out) <= maxCandidates {
			slices.SortStableFunc(out, func(x, y candidate) int { return cmp.Compare(x.cost, y.cost) })
			return out, grid
		}
		grid *= 2
	}
}

func (p *Problem) onGrid(b *Box, grid float64) []candidate {
	var out []candidate
	for _, turn := range b.Turns {
		along, across := b.Length, b.Width
		if turn == 90 || turn == 270 {
			along, across = across, along
		}
		from, to := 0.0, p.Length-along
		if to < -tiny { // longer than the deck: over both ends, its middle on the deck
			from, to = max(-p.Ahead, -along/2), min(p.Length+p.Behind-along, p.Length-along/2)
		}
		if to < from-tiny || across > p.Width+2*b.Beside+tiny {
			continue
		}
		half := max(0, (p.Width-across)/2)
		if b.Beside > 0 {
			half = max(half, min((p.Width+2*b.Beside-across)/2, p.Width/2-keelIn))
		}
		for _, x := range marks(from, max(from, to), grid) {
			for _, y := range marks(-half, half, grid) {
				c := p.candidate(b, Place{x, y, turn})
				if !p.blocked(b, &c) {
					out = append(out, c)
				}
			}
		}
	}
	return out
}

// keelIn is how far within the deck's side the middle stays of what reaches beyond it, m.
const keelIn = 0.1

// wide is the deck with what any box may reach beyond its sides, m.
func (p *Problem) wide() float64 {
	most := 0.0
	for i := range p.Boxes {
		most = max(most, p.Boxes[i].Beside)
	}
	return p.Width + 2*most
}

// marks are the multiples of grid between two ends, and the ends themselves.
func marks(from, to, grid float64) []float64 {
	out := []float64{from}
	for k := math.Ceil((from + tiny) / grid); k*grid < to-tiny; k++ {
		if v := k * grid; v > from+tiny {
			out = append(out, v)
		}
	}
	if to > from+tiny {
		out = append(out, to)
	}
	return out
}

func (p *Problem) candidate(b *Box, at Place) candidate {
	along, across := b.Length, b.Width
	cx, cy := b.CentreBack, b.CentreRight
	switch at.Turn {
	case 90:
		along, across = across, along
		cx, cy = b.Width/2+b.CentreRight, b.Length/2-b.CentreBack
	case 180:
		cx, cy = b.Length-b.CentreBack, -b.CentreRight
	case 270:
		along, across = across, along
		cx, cy = b.Width/2-b.CentreRight, b.CentreBack-b.Length/2
	}
	x, y := at.Back+cx, at.Right+cy
	c := candidate{
		front: at.Back,
		rear:  at.Back + along,
		left:  at.Right - across/2,
		right: at.Right + across/2,
		place: at,
		along: b.Mass * x,
		side:  b.Mass * y,
	}
	if p.Own == Yaw {
		d := x - p.Centre
		c.cost = b.Mass * (d*d + y*y)
	} else if w := b.Was; w != nil {
		away := math.Hypot(at.Back-w.Back, at.Right-w.Right)
		if at.Turn != w.Turn {
			away += b.Length / 2
		}
		c.cost = b.Mass * away
	}
	return c
}

func (p *Problem) blocked(b *Box, c *candidate) bool {
	for i := range p.Blocks {
		k := &p.Blocks[i]
		if b.Height > k.Under+tiny && c.left < k.Right-tiny && k.Left < c.right-tiny && c.front < k.Rear-tiny &&
			k.Front < c.rear-tiny {
			return true
		}
	}
	return false
}

func (c *candidate) overlaps(o *candidate) bool {
	return c.left < o.right-tiny && o.left < c.right-tiny && c.front < o.rear-tiny && o.front < c.rear-tiny
}

// steps is how many whole steps a figure comes to.
func steps(figure, step float64) int {
	if step <= 0 {
		return 0
	}
	return int(math.Floor(figure/step + tiny))
}

// between is the least number of steps while the own sum is at least own and the
// moments lie in intervals; ok is false where they miss their bounds.
func (p *Problem) between(own, alongLow, alongHigh, sideLow, sideHigh float64) (n int, ok bool) {
	side := max(0, sideLow, -sideHigh)
	along := max(0, alongLow-p.Aim, p.Aim-alongHigh)
	ok = alongLow <= p.High+tiny && alongHigh >= p.Low-tiny && side <= p.MostSide+tiny
	return steps(p.Start+own, p.Steps.Own) + steps(side, p.Steps.Side) + steps(along, p.Steps.Along), ok
}

// Cost is that of an arrangement, one place a box, in steps; ok is false where
// its moments miss their bounds. Whether boxes overlap is not asked.
func (p *Problem) Cost(places []Place) (n int, ok bool) {
	along, side, own := p.Moment, p.Side, 0.0
	for i := range p.Boxes {
		c := p.candidate(&p.Boxes[i], places[i])
		along, side, own = along+c.along, side+c.side, own+c.cost
	}
	return p.between(own, along, along, side, side)
}

// Misfit is by how much box i is too wide and too long for the deck with what it
// may reach beyond, in the turn that fits best; zeros where it fits.
func (p *Problem) Misfit(i int) (narrow, short float64) {
	b := &p.Boxes[i]
	least := math.Inf(1)
	for _, turn := range b.Turns {
		along, across := b.Length, b.Width
		if turn == 90 || turn == 270 {
			along, across = across, along
		}
		n := max(0, across-p.Width-2*b.Beside)
		s := max(0, along-p.Length-min(p.Ahead, along/2)-min(p.Behind, along/2))
		if n+s < least {
			least, narrow, short = n+s, n, s
		}
	}
	return narrow, short
}

// Shut is the first box that has no place beside what is taken; −1 where each
// has one.
func (p *Problem) Shut() int {
	for i := range p.Boxes {
		if len(p.candidates(&p.Boxes[i])) == 0 {
			return i
		}
	}
	return -1
}

// Reach is the least and the most that the moment along comes to when each box
// may take any of its places, whatever the others do.
func (p *Problem) Reach() (least, most float64) {
	least, most = p.Moment, p.Moment
	for i := range p.Boxes {
		lo, hi := math.Inf(1), math.Inf(-1)
		for _, c := range p.candidates(&p.Boxes[i]) {
			lo, hi = min(lo, c.along), max(hi, c.along)
		}
		least, most = least+lo, most+hi
	}
	return least, most
}
