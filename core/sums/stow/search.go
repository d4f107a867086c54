package stow

import (
	"math"
	"math/bits"
	"math/rand/v2"
	"slices"
)

// search is a depth-first branch and bound. For every box that is not placed
// yet it keeps the set of places that are still free, as bits in the order of
// cost; placing a box takes from the others' sets what it would overlap. The own
// sum of the boxes still to come is bounded box by box (each at its cheapest free
// place) and, for yaw, all together: spread over the free floor, the densest
// nearest to the centre, they come to no more than in any arrangement.
type search struct {
	p      *Problem
	list   [][]candidate
	rows   [][][]uint64 // of box i at place a: the places of all others that it leaves free
	at     []int        // where a box's words begin in a row
	words  int
	twin   []int   // the box before it that is just like it, or −1
	grid   float64 // the coarsest
	floor  floor
	low    []candidate // least and most moments of a box, over all its places
	high   []candidate
	levels []level
	chosen []int // place of each box; −1 where it has none yet

	best  []int
	cost  int     // steps of the best
	fine  float64 // its own sum: of arrangements alike the lower is kept
	nodes int
	limit int
	stop  func() bool
	tell  func(nodes int)
	over  bool // stopped, or out of nodes
}

// level is the state at one depth.
type level struct {
	free  []uint64
	cheap []float64 // cheapest free place of each box
}

// Most nodes between two looks at stop and two calls of progress.
const lookEvery = 4096

// Exact is how many free boxes are searched to the end; beyond it the search only
// improves what it has.
const Exact = 8

// Search looks through at most budget nodes. Up to eight boxes it goes on until
// nothing better is left, or the budget is gone; beyond that it improves a first
// arrangement by taking out and placing again a few boxes at a time. The same
// problem and budget give the same answer. stop and progress may be nil.
func (p *Problem) Search(budget int, stop func() bool, progress func(nodes int)) Result {
	from := *p // the steps of the own sum are counted from its bound
	s := &search{p: &from, cost: math.MaxInt, limit: budget, stop: stop, tell: progress}
	if !s.prepare() {
		return Result{Proven: true}
	}
	base := s.spread(0, -1)
	rest := 0.0
	for i := range s.list {
		rest += s.levels[0].cheap[i]
	}
	base = max(base, rest)
	from.Start = -base
	root, possible := s.bound(0, 0, p.Moment, p.Side)
	if !possible {
		return Result{Proven: true, Bound: root, Base: base}
	}
	free := 0
	for i := range p.Boxes {
		if p.Boxes[i].Fixed == nil {
			free++
		}
	}
	out := Result{Bound: root, Base: base, Grid: s.grid}
	exact := free <= Exact
	if exact {
		s.limit = budget / 8
	}
	s.improve(free)
	if exact {
		s.limit, s.over = budget, s.stop != nil && s.stop()
		s.descend(0, 0, p.Moment, p.Side)
		out.Proven = !s.over
	}
	out.Nodes = s.nodes
	if s.best != nil {
		out.Cost = s.cost
		for i, a := range s.best {
			out.Places = append(out.Places, s.list[i][a].place)
		}
		out.Proven = out.Proven || s.cost == root
	}
	if out.Proven && s.best != nil {
		out.Bound = s.cost
	}
	return out
}

// prepare lists the places; false where a box has none.
func (s *search) prepare() bool {
	p := s.p
	n := len(p.Boxes)
	s.list, s.rows, s.twin = make([][]candidate, n), make([][][]uint64, n), make([]int, n)
	s.low, s.high = make([]candidate, n), make([]candidate, n)
	s.chosen = make([]int, n)
	var fixed []candidate
	for i := range p.Boxes {
		if p.Boxes[i].Fixed != nil {
			fixed = append(fixed, p.candidate(&p.Boxes[i], *p.Boxes[i].Fixed))
		}
	}
	for i := range p.Boxes {
		b := &p.Boxes[i]
		grid := 0.0
		s.list[i], grid = p.places(b)
		s.grid = max(s.grid, grid)
		if b.Fixed == nil {
			s.list[i] = slices.DeleteFunc(s.list[i], func(c candidate) bool {
				return slices.ContainsFunc(fixed, func(f candidate) bool { return c.overlaps(&f) })
			})
		}
		if len(s.list[i]) == 0 {
			return false
		}
		s.twin[i] = -1
		for k := range i {
			if o := &p.Boxes[k]; b.Fixed == nil && o.Fixed == nil && alike(b, o) && p.Own == Yaw {
				s.twin[i] = k
			}
		}
	}
	s.halve(len(fixed))
	for i := range p.Boxes {
		lo, hi := s.list[i][0], s.list[i][0]
		for _, c := range s.list[i] {
			lo.along, lo.side = min(lo.along, c.along), min(lo.side, c.side)
			hi.along, hi.side = max(hi.along, c.along), max(hi.side, c.side)
		}
		s.low[i], s.high[i] = lo, hi
		s.rows[i] = make([][]uint64, len(s.list[i]))
		s.at = append(s.at, s.words)
		s.words += (len(s.list[i]) + 63) / 64
		s.chosen[i] = -1
	}
	s.levels = make([]level, n+1)
	for d := range s.levels {
		s.levels[d] = level{make([]uint64, s.words), make([]float64, n)}
	}
	for i := range p.Boxes {
		for a := range s.list[i] {
			s.levels[0].free[s.at[i]+a/64] |= 1 << (a % 64)
		}
		s.levels[0].cheap[i] = s.list[i][0].cost
	}
	s.floor = s.newFloor()
	return true
}

// halve takes one of each two mirrored arrangements away, by keeping the first
// box that has no twin on the left, where nothing tells left from right.
func (s *search) halve(fixed int) {
	p := s.p
	if fixed > 0 || len(p.Blocks) > 0 || p.Side != 0 || p.Own == Moves {
		return
	}
	first := -1
	for i := range p.Boxes {
		if p.Boxes[i].CentreRight != 0 {
			return
		}
		twinned := s.twin[i] >= 0 || slices.Contains(s.twin, i)
		if !twinned && (first < 0 || p.Boxes[i].Mass > p.Boxes[first].Mass) {
			first = i
		}
	}
	if first >= 0 {
		s.list[first] = slices.DeleteFunc(s.list[first], func(c candidate) bool { return c.place.Right > tiny })
	}
}

func alike(a, b *Box) bool {
	return a.Length == b.Length && a.Width == b.Width && a.Height == b.Height && a.Mass == b.Mass && a.Beside == b.Beside &&
		a.CentreBack == b.CentreBack && a.CentreRight == b.CentreRight &&
		slices.Equal(a.Turns, b.Turns)
}

// row is which places of the others stay free when box i stands at its place a.
func (s *search) row(i, a int) []uint64 {
	if r := s.rows[i][a]; r != nil {
		return r
	}
	r := make([]uint64, s.words)
	c := &s.list[i][a]
	for j := range s.list {
		if j == i {
			continue
		}
		for b := range s.list[j] {
			alike := s.twin[j] == i && b <= a || s.twin[i] == j && b >= a // twins stand in one order
			if !alike && !c.overlaps(&s.list[j][b]) {
				r[s.at[j]+b/64] |= 1 << (b % 64)
			}
		}
	}
	s.rows[i][a] = r
	return r
}

// bound is the least number of steps that any completion comes to, given the
// placed boxes' own sum and the moments so far; ok is false where none keeps the
// bounds.
func (s *search) bound(depth int, own, along, side float64) (n int, ok bool) {
	l := &s.levels[depth]
	alongLow, alongHigh, sideLow, sideHigh := along, along, side, side
	rest := 0.0
	for i, a := range s.chosen {
		if a < 0 {
			alongLow, alongHigh = alongLow+s.low[i].along, alongHigh+s.high[i].along
			sideLow, sideHigh = sideLow+s.low[i].side, sideHigh+s.high[i].side
			rest += l.cheap[i]
		}
	}
	if n, ok = s.p.between(own+rest, alongLow, alongHigh, sideLow, sideHigh); !ok || n >= s.cost {
		return n, ok
	}
	if depth+2 <= len(s.list) { // one box alone lies best at its cheapest place
		if spread := s.spread(depth, -1); spread > rest {
			n, _ = s.p.between(own+spread, alongLow, alongHigh, sideLow, sideHigh)
		}
	}
	return n, true
}

// descend places one more box in every way that may still lead to something
// better.
func (s *search) descend(depth int, own, along, side float64) {
	s.nodes++
	if s.nodes%lookEvery == 0 {
		if s.tell != nil {
			s.tell(s.nodes)
		}
		if s.stop != nil && s.stop() {
			s.over = true
		}
	}
	if s.nodes >= s.limit {
		s.over = true
	}
	if s.over {
		return
	}
	if depth == len(s.list) { // nothing was left to place
		s.leaf(own, along, side)
		return
	}
	if n, ok := s.bound(depth, own, along, side); !ok || n >= s.cost {
		return
	}
	l := &s.levels[depth]
	i := s.next(l)
	rest := 0.0
	for j, a := range s.chosen {
		if a < 0 && j != i {
			rest += l.cheap[j]
		}
	}
	if depth+3 <= len(s.list) {
		rest = max(rest, s.spread(depth, i))
	}
	rest += own
	last := depth+1 == len(s.list)
	s.each(l, i, func(a int) bool {
		c := &s.list[i][a]
		if s.over || s.cost < math.MaxInt && steps(s.p.Start+rest+c.cost, s.p.Steps.Own) >= s.cost {
			return false
		}
		s.chosen[i] = a
		if last {
			s.leaf(own+c.cost, along+c.along, side+c.side)
		} else if s.narrow(depth, i, a) {
			s.descend(depth+1, own+c.cost, along+c.along, side+c.side)
		}
		s.chosen[i] = -1
		return true
	})
}

// next is the box to be placed: until there is an arrangement the one with the
// fewest free places, then the heaviest.
func (s *search) next(l *level) int {
	pick, fewest := -1, 0
	for i, a := range s.chosen {
		if a >= 0 {
			continue
		}
		n := 0
		if s.best == nil {
			for w := range (len(s.list[i]) + 63) / 64 {
				n += bits.OnesCount64(l.free[s.at[i]+w])
			}
		}
		if pick < 0 || n < fewest || n == fewest && s.p.Boxes[i].Mass > s.p.Boxes[pick].Mass {
			pick, fewest = i, n
		}
	}
	return pick
}

// each goes through the free places of a box, cheapest first.
func (s *search) each(l *level, i int, do func(a int) bool) {
	from := s.at[i]
	for w := range (len(s.list[i]) + 63) / 64 {
		for left := l.free[from+w]; left != 0; left &= left - 1 {
			if !do(w*64 + bits.TrailingZeros64(left)) {
				return
			}
		}
	}
}

// narrow makes the next level: what stays free when box i stands at its place a.
// False where a box has nowhere left.
func (s *search) narrow(depth, i, a int) bool {
	s.cover(depth, i, a)
	l, next, row := &s.levels[depth], &s.levels[depth+1], s.row(i, a)
	for j, placed := range s.chosen {
		if placed >= 0 {
			continue
		}
		first := -1
		from := s.at[j]
		for w := range (len(s.list[j]) + 63) / 64 {
			v := l.free[from+w] & row[from+w]
			next.free[from+w] = v
			if first < 0 && v != 0 {
				first = w*64 + bits.TrailingZeros64(v)
			}
		}
		if first < 0 {
			return false
		}
		next.cheap[j] = s.list[j][first].cost
	}
	return true
}

func (s *search) leaf(own, along, side float64) {
	n, ok := s.p.between(own, along, along, side, side)
	if !ok || n > s.cost || n == s.cost && own >= s.fine {
		return
	}
	if s.p.Accept != nil {
		places := make([]Place, len(s.chosen))
		for i, a := range s.chosen {
			places[i] = s.list[i][a].place
		}
		if !s.p.Accept(places) {
			return
		}
	}
	s.cost, s.fine, s.best = n, own, slices.Clone(s.chosen)
}

// Nodes for the first arrangement, and for placing a few boxes again.
const (
	firstNodes = 20000
	anewNodes  = 1500
)

// improve finds a first arrangement and betters it until the limit: a few boxes
// are taken out and placed again in the best way.
func (s *search) improve(free int) {
	limit := s.limit
	within := func(n int) { // the nodes of one step
		s.limit, s.over = min(limit, s.nodes+n), false
	}
	within(firstNodes)
	s.descend(0, 0, s.p.Moment, s.p.Side)
	if !s.over || s.best == nil && free <= Exact {
		s.limit = limit
		return // looked through already, or left to the whole search
	}
	random := rand.New(rand.NewPCG(1, 2))
	for idle := 0; s.best != nil && s.nodes < limit && idle < 400; idle++ {
		if s.stop != nil && s.stop() {
			break
		}
		out := random.Perm(len(s.list))[:min(len(s.list), 2+random.IntN(3))]
		own, along, side, depth := 0.0, s.p.Moment, s.p.Side, 0
		ok := true
		for i, a := range s.best {
			if slices.Contains(out, i) {
				continue
			}
			s.chosen[i] = a
			c := &s.list[i][a]
			if ok = ok && s.narrow(depth, i, a); !ok {
				continue
			}
			depth++
			own, along, side = own+c.cost, along+c.along, side+c.side
		}
		before, fine := s.cost, s.fine
		if ok {
			within(anewNodes)
			s.descend(depth, own, along, side)
		}
		for i := range s.chosen {
			s.chosen[i] = -1
		}
		if s.cost < before || s.fine < fine {
			idle = 0
		}
	}
	s.limit = limit
}
