package stow

import (
	"cmp"
	"math"
	"math/bits"
	"slices"
)

// floor is the deck in small cells, nearest to the centre first, for the bound
// on yaw inertia.
type floor struct {
	cells []cell
	area  float64      // of a cell
	order []int        // boxes, densest first
	dense []float64    // kg/m² of each box, spread about its centre of mass
	own   []float64    // yaw inertia of each box about its own centre, spread so
	taken [][]uint64   // cells that the placed boxes cover, a level each
	rows  [][][]uint64 // cells that box i covers at its place a
	index []int        // of the cell in each row and column, where the cells begin
	from  float64
	wide  int // cells across
}

type cell struct {
	at int     // row and column, counted through
	d2 float64 // least squared distance to the centre
}

// newFloor cuts the deck, and what boxes may reach beyond it, into cells of half
// the grid. Each box is spread over the largest rectangle within it whose middle
// is its centre of mass.
func (s *search) newFloor() floor {
	p := s.p
	var f floor
	if p.Own != Yaw || p.Steps.Own <= 0 {
		return f
	}
	from, to := 0.0, p.Length
	for i := range p.Boxes {
		b := &p.Boxes[i]
		l := 2 * max(0.01, min(b.CentreBack, b.Length-b.CentreBack))
		w := 2 * max(0.01, b.Width/2-math.Abs(b.CentreRight))
		f.dense = append(f.dense, b.Mass/(l*w))
		f.own = append(f.own, b.Mass*(l*l+w*w)/12)
		f.order = append(f.order, i)
		for _, c := range s.list[i] {
			from, to = min(from, c.front), max(to, c.rear)
		}
	}
	slices.SortStableFunc(f.order, func(a, b int) int { return cmp.Compare(f.dense[b], f.dense[a]) })
	size := p.Grid / 2
	f.area = size * size
	f.from, f.wide = from, int(math.Ceil(p.wide()/size-tiny))
	long := int(math.Ceil((to-from)/size - tiny))
	for n := range long * f.wide {
		front, left := from+float64(n/f.wide)*size, -p.wide()/2+float64(n%f.wide)*size
		x := max(0, front-p.Centre, p.Centre-front-size)
		y := max(0, left, -left-size)
		f.cells = append(f.cells, cell{n, x*x + y*y})
	}
	slices.SortStableFunc(f.cells, func(a, b cell) int { return cmp.Compare(a.d2, b.d2) })
	f.index = make([]int, len(f.cells))
	for n, c := range f.cells {
		f.index[c.at] = n
	}
	words := (len(f.cells) + 63) / 64
	for range len(p.Boxes) + 1 {
		f.taken = append(f.taken, make([]uint64, words))
	}
	f.rows = make([][][]uint64, len(p.Boxes))
	for i := range f.rows {
		f.rows[i] = make([][]uint64, len(s.list[i]))
	}
	return f
}

// cover marks what box i at its place a covers, in the level after depth.
func (s *search) cover(depth, i, a int) {
	f := &s.floor
	if f.cells == nil {
		return
	}
	row := f.rows[i][a]
	if row == nil {
		row = make([]uint64, len(f.taken[0]))
		c := &s.list[i][a]
		size := s.p.Grid / 2
		half := s.p.wide() / 2
		for x := int(math.Ceil((c.front-f.from)/size - tiny)); float64(x+1)*size <= c.rear-f.from+tiny; x++ {
			for y := int(math.Ceil((c.left+half)/size - tiny)); y < f.wide && float64(y+1)*size <= c.right+half+tiny; y++ {
				n := f.index[x*f.wide+y]
				row[n/64] |= 1 << (n % 64)
			}
		}
		f.rows[i][a] = row
	}
	for w := range row {
		f.taken[depth+1][w] = f.taken[depth][w] | row[w]
	}
}

// spread is the least yaw inertia of the boxes that are not placed, but for one,
// when each is spread over free cells, less what it has about its own centre:
// the densest lies nearest. No arrangement without overlap comes to less.
func (s *search) spread(depth, but int) float64 {
	f := &s.floor
	if f.cells == nil {
		return 0
	}
	sum, n := 0.0, 0
	density, left := 0.0, 0.0 // of the box being spread; kg that are left of it
	more := func() bool {
		for ; n < len(f.order); n++ {
			if i := f.order[n]; s.chosen[i] < 0 && i != but {
				density, left = f.dense[i], s.p.Boxes[i].Mass
				sum -= f.own[i]
				n++
				return true
			}
		}
		return false
	}
	if !more() {
		return 0
	}
	taken := f.taken[depth]
	for w := range taken {
		free := ^taken[w]
		if w == len(taken)-1 && len(f.cells)%64 != 0 {
			free &= 1<<(len(f.cells)%64) - 1
		}
		for ; free != 0; free &= free - 1 {
			d2 := f.cells[w*64+bits.TrailingZeros64(free)].d2
			for room := f.area; room > 0; {
				m := min(left, density*room)
				sum += m * d2
				if left -= m; left > 1e-12 {
					break
				}
				room -= m / density
				if !more() {
					return sum
				}
			}
		}
	}
	return sum
}
