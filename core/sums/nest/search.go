package nest

import (
	"context"
	"encoding/binary"
	"math"
	"slices"
)

// filled is one bar with how many of each kind come out of it.
type filled struct {
	stock  int
	counts []int
	rest   int
}

// seen is the best that a state was reached with.
type seen struct {
	price float64
	bars  int
	rest  int
}

type search struct {
	ctx    context.Context
	kinds  []kind
	stocks []stock
	steps  int
	least  float64 // no layout costs less
	sums   sums
	seen   map[string]seen

	best      []filled
	bestPrice float64
	bestBars  int
	bestRest  int

	left   []int // of each kind
	have   []int // of each stock
	used   []filled
	price  float64
	total  int     // units of what is left
	limit  float64 // layouts that cost more are passed over
	any    bool    // the first layout will do
	budget int     // steps that are left of this look
	cut    bool    // they or the time ran out
	// a state had more fillings than are looked at
	trimmed bool
}

// run looks for a layout at the bound, then at each higher price that bars can come to, until there is
// one. A price at which all was looked through without one raises the bound.
func (s *search) run() {
	for _, k := range s.kinds {
		s.left = append(s.left, len(k.pieces))
		s.total += k.length * len(k.pieces)
	}
	for _, st := range s.stocks {
		s.have = append(s.have, st.have)
	}
	s.bestPrice = math.Inf(1)
	wanted := s.total - s.free() // to be bought
	least, _ := s.covers()
	s.least = s.sums.up(least, wanted)
	s.look(math.Inf(1), s.steps/4, true) // any layout, so that there is one
	if s.best == nil {
		s.look(math.Inf(1), s.steps, true)
	}
	if s.best != nil && s.least < s.bestPrice-1e-9 {
		s.look(s.least, s.steps/16, false)
	}
	if s.best != nil && s.least < s.bestPrice-1e-9 {
		rows, relaxed := s.relax(nil, roundsBound)
		s.least = math.Max(s.least, s.sums.up(relaxed, wanted))
		s.dive(rows)
	}
	for target := s.least; s.best != nil && target < s.bestPrice-1e-9; {
		if whole := s.look(target, s.steps/2, false); s.bestPrice <= target+1e-9*(1+target) {
			break
		} else if whole && s.least >= target-1e-9*(1+target) {
			s.least = math.Min(s.sums.up(target+step(target), wanted), s.bestPrice)
		}
		if s.steps < 256 || s.ctx.Err() != nil {
			break
		}
		target = s.sums.up(target+step(target), wanted)
	}
	// fewer bars and a longer rest at the same price
	s.look(s.bestPrice, min(s.steps, tieSteps), false)
}

// tieSteps are spent on layouts of the same price.
const tieSteps = 1000

// step is what a price is raised by where sums are not known, and a little more than equal where they are.
func step(price float64) float64 { return math.Max(1e-3, price*2e-4) }

// look looks through layouts that cost no more than a price: the longest piece that is left must come
// out of some bar, so every bar is tried with every filling that holds it and leaves no room for another
// piece. It reports whether all were looked through. With any it ends at the first.
func (s *search) look(price float64, steps int, any bool) (whole bool) {
	s.limit, s.any, s.cut, s.trimmed = price, any, false, false
	s.budget = max(256, steps)
	s.steps -= s.budget
	clear(s.seen)
	s.next()
	s.steps += max(0, s.budget)
	return !s.cut && !s.trimmed
}

// better reports whether a layout is before the best: cheaper, then of fewer bars, then with a longer
// rest.
func (s *search) better(price float64, bars, rest int) bool {
	e := 1e-9 * (1 + math.Abs(price))
	switch {
	case price < s.bestPrice-e:
		return true
	case price > s.bestPrice+e:
		return false
	case bars != s.bestBars:
		return bars < s.bestBars
	}
	return rest > s.bestRest
}

func (s *search) longest() (rest int) {
	for i := range s.used {
		rest = max(rest, s.used[i].rest)
	}
	return rest
}

// done reports whether the steps are over.
func (s *search) done() bool {
	s.budget--
	if s.budget < 0 || s.budget%256 == 0 && s.ctx.Err() != nil {
		s.cut = true
	}
	return s.cut
}

func (s *search) next() {
	if s.total == 0 {
		if rest := s.longest(); s.better(s.price, len(s.used), rest) {
			s.bestPrice, s.bestBars, s.bestRest = s.price, len(s.used), rest
			s.best = []filled{}
			for _, u := range s.used {
				s.best = append(s.best, filled{u.stock, slices.Clone(u.counts), u.rest})
			}
			s.cut = s.any
		}
		return
	}
	if s.done() {
		return
	}
	least, bars := s.covers()
	if s.hopeless(least, bars) || s.known() {
		return
	}
	first := slices.IndexFunc(s.left, func(n int) bool { return n > 0 })
	for _, f := range s.fillings(first, least) {
		st := &s.stocks[f.stock]
		s.take(&f, 1)
		s.used, s.price = append(s.used, f), s.price+st.price
		s.next()
		s.used, s.price = s.used[:len(s.used)-1], s.price-st.price
		s.take(&f, -1)
		if s.cut {
			return
		}
	}
}

func (s *search) take(f *filled, sign int) {
	for k, n := range f.counts {
		s.left[k] -= sign * n
		s.total -= sign * n * s.kinds[k].length
	}
	if s.have[f.stock] != Endless {
		s.have[f.stock] -= sign
	}
}

// hopeless reports whether what is left, which costs so much and takes so many bars at least, cannot end
// within the limit or before the best.
func (s *search) hopeless(least float64, bars int) bool {
	least += s.price
	e := 1e-9 * (1 + math.Abs(least))
	if least > s.limit+e {
		return true
	}
	return s.best != nil && (least > s.bestPrice+e || least > s.bestPrice-e && len(s.used)+bars > s.bestBars)
}

// covers is the least price of bars as long as all that is left, cut anywhere, and the least number of
// bars that are so long.
func (s *search) covers() (price float64, bars int) {
	left := float64(s.total)
	longest := 0
	for i := range s.stocks { // cheapest by the metre first
		st := &s.stocks[i]
		if s.have[i] == 0 {
			continue
		}
		longest = max(longest, st.length)
		if left <= 0 {
			continue
		}
		there := math.Inf(1)
		if s.have[i] != Endless {
			there = float64(s.have[i] * st.length)
		}
		use := math.Min(left, there)
		price += use / float64(st.length) * st.price
		left -= use
	}
	if longest == 0 {
		return math.Inf(1), 1
	}
	return math.Max(price, s.sums.least(s.total-s.free())), (s.total + longest - 1) / longest
}

// known reports whether the same was left before, reached no worse.
func (s *search) known() bool {
	key := make([]byte, 0, 2*(len(s.left)+len(s.have)))
	for _, n := range s.left {
		key = binary.AppendUvarint(key, uint64(n))
	}
	for _, n := range s.have {
		key = binary.AppendUvarint(key, uint64(n+1))
	}
	now := seen{s.price, len(s.used), s.longest()}
	old, ok := s.seen[string(key)]
	if ok && old.price <= now.price+1e-12 && old.bars <= now.bars && old.rest >= now.rest {
		return true
	}
	if !ok || now.price <= old.price && now.bars <= old.bars && now.rest >= old.rest {
		s.seen[string(key)] = now
	}
	return false
}

// mostFillings of one state are looked at.
const mostFillings = 4000

// fillings are those of every bar that hold a piece of the kind, leave no room for another and waste no
// more than the limit allows over the least that what is left costs; the one that wastes least first.
func (s *search) fillings(first int, least float64) []filled {
	var out []filled
	tried := map[[2]int]bool{}
	rate := math.Inf(1)
	for i := range s.stocks {
		if st := &s.stocks[i]; s.have[i] != 0 {
			rate = math.Min(rate, st.price/float64(st.length))
		}
	}
	for i := range s.stocks {
		st := &s.stocks[i]
		key := [2]int{st.length, int(math.Round(st.price * 1e4))}
		if s.have[i] == 0 || st.length < s.kinds[first].length || tried[key] {
			continue
		}
		tried[key] = true
		counts := make([]int, len(s.kinds))
		counts[first] = 1
		f := filler{s: s, stock: i, end: len(out) + mostFillings, most: st.length}
		if limit := math.Min(s.limit, s.bestPrice); rate > 0 && !math.IsInf(limit, 1) {
			// p_st + rate·(total − used) ≤ limit − price, so what is used is at least …
			room := limit - s.price - st.price
			used := float64(s.total) - (room+1e-9*(1+limit))/rate
			f.most = min(f.most, st.length-int(math.Ceil(used-1e-6)))
		}
		out = f.fill(out, first, counts, st.length-s.kinds[first].length)
	}
	waste := func(f *filled) float64 {
		st := &s.stocks[f.stock]
		return st.price - rate*float64(st.length-f.rest)
	}
	slices.SortStableFunc(out, func(a, b filled) int {
		switch d := waste(&a) - waste(&b); {
		case d < -1e-12:
			return -1
		case d > 1e-12:
			return 1
		}
		return a.rest - b.rest
	})
	return out
}

// filler fills one bar.
type filler struct {
	s     *search
	stock int
	end   int // so many fillings are enough
	most  int // of rest
}

// fill adds the fillings that go on from what is in the bar, with pieces from a kind on.
func (f *filler) fill(out []filled, from int, counts []int, room int) []filled {
	s := f.s
	if len(out) >= f.end {
		s.trimmed = true
		return out
	}
	full, rest := true, room
	for k := range s.kinds {
		n := s.left[k] - counts[k]
		if n <= 0 {
			continue
		}
		if s.kinds[k].length <= room {
			full = false
		}
		if k >= from {
			rest -= n * s.kinds[k].length
		}
	}
	if full {
		if room <= f.most {
			out = append(out, filled{f.stock, slices.Clone(counts), room})
		}
		return out
	}
	if rest > f.most { // even with all that is left too much would be wasted
		return out
	}
	for k := from; k < len(s.kinds); k++ {
		if s.left[k] > counts[k] && s.kinds[k].length <= room {
			counts[k]++
			out = f.fill(out, k, counts, room-s.kinds[k].length)
			counts[k]--
		}
	}
	return out
}
