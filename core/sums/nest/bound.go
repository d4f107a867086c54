package nest

import (
	"math"
	"slices"

	"zygonos/core/sums/lp"
)

// sums are the prices that bought bars can come to together, in hundredths, each with the most length
// that it buys: whole bars cost more than the length that is wanted.
type sums struct {
	exact []int // units bought at just that price; −1: no bars come to it
	most  []int // units bought at that price or less
}

// mostSum is the price up to which sums are listed, hundredths.
const mostSum = 2_000_000

// newSums lists them up to twice what the length costs by the metre; none where a price has fractions of
// hundredths or is too high.
func newSums(stocks []stock, total int) sums {
	top := 0.0
	for i := range stocks {
		st := &stocks[i]
		top = math.Max(top, st.price*(2*float64(total)/float64(st.length)+3)*100)
		if c := st.price * 100; math.Abs(c-math.Round(c)) > 1e-6 {
			return sums{}
		}
	}
	if !(top < mostSum) {
		return sums{}
	}
	n := int(top) + 1
	s := sums{make([]int, n), make([]int, n)}
	for i := 1; i < n; i++ {
		s.exact[i] = -1
		for j := range stocks {
			p := int(math.Round(stocks[j].price * 100))
			if p > 0 && i >= p && s.exact[i-p] >= 0 {
				s.exact[i] = max(s.exact[i], s.exact[i-p]+stocks[j].length)
			}
		}
		s.most[i] = max(s.most[i-1], s.exact[i])
	}
	return s
}

// least is the least price of bought bars that are so long together.
func (s *sums) least(length int) float64 {
	if length <= 0 || s.most == nil {
		return 0
	}
	i, _ := slices.BinarySearch(s.most, length)
	return float64(i) / 100
}

// up is the least price from x on of bought bars that are so long together.
func (s *sums) up(x float64, length int) float64 {
	for i := max(0, int(math.Ceil(x*100-1e-6))); i < len(s.exact); i++ {
		if s.exact[i] >= length {
			return math.Max(x, float64(i)/100)
		}
	}
	return x
}

// free are the units of bars that cost nothing and are still there.
func (s *search) free() (length int) {
	for i := range s.stocks {
		switch st := &s.stocks[i]; {
		case st.price > 0 || s.have[i] == 0:
		case s.have[i] == Endless:
			return s.total
		default:
			length += s.have[i] * st.length
		}
	}
	return length
}

// Rounds of cutting planes: for the bound, and between two fillings of a dive.
const (
	roundsBound = 80
	roundsDive  = 12
)

// row is a filling of a bar that the linear relaxation knows.
type row struct {
	stock  int
	counts []int
}

// relax finds a price under which no layout of what is left can be, by the dual of the linear relaxation
// (Gilmore and Gomory): a worth y of each kind, so that no filling of a bar is worth more than the bar
// costs, makes all pieces together worth at most what any layout costs.
//
//	max Σ n_k·y_k − Σ h_j·μ_j   with   Σ a_k·y_k − μ_j ≤ c_j for every filling a of bar j
//
// Fillings are added as a knapsack finds them worth too much; worths scaled down to what the knapsack
// allows are a bound at every round (Farley). It gives the fillings that it knows in the end.
func (s *search) relax(known []row, rounds int) (rows []row, least float64) {
	for _, r := range known { // those that can still be cut
		if s.have[r.stock] != 0 &&
			!slices.ContainsFunc(seq(len(r.counts)), func(k int) bool { return r.counts[k] > s.left[k] }) {
			rows = append(rows, r)
		}
	}
	var limited []int // stocks of which there are only some
	for j := range s.stocks {
		if s.have[j] > 0 {
			limited = append(limited, j)
		}
	}
	kinds := len(s.kinds)
	for k := range s.kinds { // a first filling of each bar with each kind
		for j := range s.stocks {
			if n := min(s.stocks[j].length/s.kinds[k].length, s.left[k]); n > 0 && s.have[j] != 0 {
				counts := make([]int, kinds)
				counts[k] = n
				rows = append(rows, row{j, counts})
			}
		}
	}
	for range rounds {
		if s.ctx.Err() != nil {
			return rows, least
		}
		wide := kinds + len(limited) + len(rows)
		goal := make([]float64, wide)
		for k := range s.kinds {
			goal[k] = float64(s.left[k])
		}
		for i, j := range limited {
			goal[kinds+i] = -float64(s.have[j])
		}
		a, b := make([][]float64, len(rows)), make([]float64, len(rows))
		for i, r := range rows {
			a[i] = make([]float64, wide)
			for k, n := range r.counts {
				a[i][k] = float64(n)
			}
			if at := slices.Index(limited, r.stock); at >= 0 {
				a[i][kinds+at] = -1
			}
			a[i][kinds+len(limited)+i] = 1
			b[i] = s.stocks[r.stock].price
		}
		x, err := lp.Maximise(goal, a, b)
		if err != nil { // not enough bars on hand: the search says so
			return rows, least
		}
		found := false
		scale, value := 1.0, 0.0
		for j := range s.stocks {
			if s.have[j] == 0 {
				continue
			}
			worth, counts := s.knapsack(x[:kinds], s.stocks[j].length)
			cost := s.stocks[j].price
			if at := slices.Index(limited, j); at >= 0 {
				cost += x[kinds+at]
			}
			if worth <= cost+1e-7 {
				continue
			}
			found = true
			rows = append(rows, row{j, counts})
			if cost > 0 {
				scale = math.Max(scale, worth/cost)
			} else {
				scale = math.Inf(1)
			}
		}
		for i := range goal {
			v := goal[i] * x[i]
			if i < kinds {
				v /= scale
			}
			value += v
		}
		least = math.Max(least, value-1e-7)
		if !found || s.sums.up(s.price+least, 0) >= s.bestPrice {
			break
		}
		// fillings that are far from worth their bar only make the next round slow
		slack := x[kinds+len(limited):]
		at := -1
		rows = slices.DeleteFunc(rows, func(r row) bool {
			at++
			return at < len(slack) && len(rows) > 2*kinds && slack[at] > 0.05*s.stocks[r.stock].price
		})
	}
	return rows, least
}

func seq(n int) []int {
	out := make([]int, n)
	for i := range out {
		out[i] = i
	}
	return out
}

// heaviest is the filling that the relaxation cuts most of: min c·x with Σ a·x ≥ n, x of a limited bar
// no more than there are.
func (s *search) heaviest(rows []row) (row, bool) {
	var need []int
	for k := range s.kinds {
		if s.left[k] > 0 {
			need = append(need, k)
		}
	}
	var limited []int
	for j := range s.stocks {
		if s.have[j] > 0 {
			limited = append(limited, j)
		}
	}
	wide := len(rows) + len(need) + len(limited)
	goal := make([]float64, wide)
	for i, r := range rows {
		goal[i] = -s.stocks[r.stock].price - 1e-6
	}
	a, b := make([][]float64, 0, len(need)+len(limited)), make([]float64, 0, len(need)+len(limited))
	for i, k := range need {
		line := make([]float64, wide)
		for x, r := range rows {
			line[x] = float64(r.counts[k])
		}
		line[len(rows)+i] = -1
		a, b = append(a, line), append(b, float64(s.left[k]))
	}
	for i, j := range limited {
		line := make([]float64, wide)
		for x, r := range rows {
			if r.stock == j {
				line[x] = 1
			}
		}
		line[len(rows)+len(need)+i] = 1
		a, b = append(a, line), append(b, float64(s.have[j]))
	}
	x, err := lp.Maximise(goal, a, b)
	if err != nil {
		return row{}, false
	}
	best := 0
	for i := range rows {
		if x[i] > x[best] {
			best = i
		}
	}
	return rows[best], x[best] > 1e-9
}

// exactly is the number of pieces that are cut by looking through all layouts in the end of a dive.
const exactly = 11

// dive cuts the filling that the relaxation cuts most of, relaxes what is left, and so on; the last
// pieces are looked through.
func (s *search) dive(rows []row) {
	begun := len(s.used)
	for {
		pieces := 0
		for _, n := range s.left {
			pieces += n
		}
		if pieces <= exactly {
			s.look(s.bestPrice, s.steps/8, false)
			break
		}
		r, ok := s.heaviest(rows)
		if !ok || s.ctx.Err() != nil {
			break
		}
		f := filled{stock: r.stock, counts: slices.Clone(r.counts), rest: s.stocks[r.stock].length}
		for k, n := range f.counts {
			f.rest -= n * s.kinds[k].length
		}
		for k := range s.kinds { // what the relaxation left out and has room
			for s.left[k] > f.counts[k] && s.kinds[k].length <= f.rest {
				f.counts[k]++
				f.rest -= s.kinds[k].length
			}
		}
		s.take(&f, 1)
		s.used, s.price = append(s.used, f), s.price+s.stocks[f.stock].price
		rows, _ = s.relax(rows, roundsDive)
	}
	for len(s.used) > begun {
		f := s.used[len(s.used)-1]
		s.take(&f, -1)
		s.used, s.price = s.used[:len(s.used)-1], s.price-s.stocks[f.stock].price
	}
}

// knapsack is the filling of a bar that is worth most, by branch and bound over the kinds, dearest by
// length first.
func (s *search) knapsack(worth []float64, room int) (most float64, counts []int) {
	order := make([]int, 0, len(worth))
	for k := range worth {
		if worth[k] > 1e-12 {
			order = append(order, k)
		}
	}
	rate := func(k int) float64 { return worth[k] / float64(s.kinds[k].length) }
	slices.SortFunc(order, func(a, b int) int {
		if d := rate(b) - rate(a); d != 0 {
			return int(math.Copysign(1, d))
		}
		return a - b
	})
	now := make([]int, len(worth))
	counts = make([]int, len(worth))
	steps := 0
	var fill func(i int, value float64, room int)
	fill = func(i int, value float64, room int) {
		if value > most+1e-12 {
			most = value
			copy(counts, now)
		}
		steps++
		if i == len(order) || value+rate(order[i])*float64(room) <= most+1e-12 || steps > 200_000 {
			return
		}
		k := order[i]
		for n := min(room/s.kinds[k].length, s.left[k]); n >= 0; n-- {
			now[k] = n
			fill(i+1, value+float64(n)*worth[k], room-n*s.kinds[k].length)
		}
		now[k] = 0
	}
	fill(0, 0, room)
	if steps > 200_000 { // not sure of the most: what a bar may be worth at most is taken
		most = math.Max(most, rate(order[0])*float64(room))
	}
	return most, counts
}
