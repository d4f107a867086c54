package review

import (
	"cmp"
	"maps"
	"math"
	"slices"

	"zygonos/core/ask/balance"
	"zygonos/core/ask/clearance"
	"zygonos/core/lang/quantity"
	"zygonos/core/plan"
	"zygonos/core/rig"
)

// Places beside each other, m (practice, C).
const (
	berthGap  = 0.02 // between boxes
	hullGap   = 0.10 // between hulls
	wheelsGap = 0.10 // between machines, for a hand and a strap
	sternOver = 1.0  // that a long thing may reach beyond the tail
	bowRoom   = 0.3  // before it, to the coupling
	wheelIn   = 0.1  // of a wheel's middle within the deck's side
)

// berth is a load to be placed.
type berth struct {
	id            string
	shape         string
	turn          int
	along, across float64 // its box as it will stand, m
	height        float64
	mass          float64 // kg, with what is in it; 0: not known
	x, y          float64 // its centre behind its front and right of its middle, m
	bars          bool    // it stands on one track, and is wide at its bars alone
}

// row is what stands side by side, with all that rides on it.
type row struct {
	items         []*berth
	along, across float64
	mass, moment  float64 // moment of its masses about its front, kg·m
	side          float64 // of its middle right of the deck's, so that its masses lie there, m
	height, reach float64 // with what rides on it: over the deck, and behind its front, m
}

// yard is what berths are looked for in.
type yard struct {
	r     *rig.Rig
	front float64 // of the deck behind the ball, m
	all   []*berth
	rows  []*row
	fixed []*rig.Item        // what stands there already
	over  map[string]string  // what goes on top of another load, and which
	inset map[string]float64 // of its front behind that load's, m
	aloft map[string]bool    // what is drawn over all else
}

// berths finds places as a sensible person would: machines nose first, hulls side by side on
// their keels, boxes in rows across the deck with their weight on the middle, what is over on
// top; the rows in the order, and slid together to the place, that brings the ball load
// nearest to the middle of its window, clear of what its owner placed. docs/method/place.md.
func berths(p *plan.Plan, trailer, outing string, ids []string) map[string]plan.Placement {
	at := func(id string) plan.Placement {
		pl := p.Outings[outing].Layouts[trailer].Placements[id]
		pl.On, pl.ID, pl.Slot, pl.At, pl.Turn, pl.Auto = plan.OnDeck, "", "", plan.Spot{}, 0, true
		return pl
	}
	out := map[string]plan.Placement{}
	for _, id := range ids {
		out[id] = at(id)
	}
	r := rig.Resolve(withPlaced(p, trailer, outing, out), trailer, outing)
	if r == nil {
		return out
	}
	y := newYard(r, ids)
	var best seating
	for {
		y.weigh()
		var ok bool
		if best, ok = y.seat(ids); ok || !y.leaveOut() {
			break
		}
	}
	for _, w := range best.rows {
		right := w.side - w.across/2
		for _, q := range w.items {
			pl := out[q.id]
			pl.Turn = q.turn
			pl.At = plan.Spot{Back: round10(best.at[w] + w.inset(q)), Right: round10(right + q.across/2)}
			out[q.id] = pl
			right += q.across + gapOf(q)
		}
	}
	for id, on := range y.over {
		pl := out[id]
		pl.On, pl.ID, pl.Turn, pl.At.Back = plan.OnLoad, on, y.turnOf(id), round10(y.inset[id])
		out[id] = pl
	}
	return out
}

// newYard takes the loads to be placed from a rig, heaviest first, and lays them in rows.
func newYard(r *rig.Rig, ids []string) *yard {
	y := &yard{r: r, over: map[string]string{}, inset: map[string]float64{}, aloft: map[string]bool{}}
	y.front, _ = r.Deck()
	for i := range r.Items {
		it := &r.Items[i]
		if it.Part || !slices.Contains(ids, it.ID) {
			if pl := r.Layout.Placements[it.ID]; !it.Open &&
				(it.Part || pl.On != plan.OnLoad || !slices.Contains(ids, pl.ID)) {
				y.fixed = append(y.fixed, it)
			}
			continue
		}
		b := r.Moves(i)
		q := &berth{id: it.ID, shape: it.Shape, mass: b.Mass,
			along: it.Length(), across: it.Right - it.Left, height: it.Top - it.Bottom,
			x: b.X - it.Front, y: b.Y - (it.Left+it.Right)/2, bars: it.OneTrack()}
		if q.shape == "box" && q.across > r.DeckWidth() && q.along <= r.DeckWidth() { // it goes across
			q.turn, q.along, q.across, q.x, q.y = 90, q.across, q.along, q.across/2-q.y, q.x-q.along/2
		}
		y.all = append(y.all, q)
	}
	slices.SortStableFunc(y.all, func(a, b *berth) int {
		return cmp.Or(
			cmp.Compare(b.mass, a.mass),
			cmp.Compare(b.along*b.across, a.along*a.across),
			cmp.Compare(a.id, b.id),
		)
	})
	y.inRows()
	return y
}

// inset is where a load of a row stands behind the row's front: in its middle, hulls bow to bow.
func (w *row) inset(q *berth) float64 {
	if q.shape == "hull" {
		return 0
	}
	return (w.along - q.along) / 2
}

// beyond is how far a row may reach over either end of the deck, m: a hull to its middle, a
// box by a quarter, a machine by a tenth, for its wheels stand on it (practice, C).
func (w *row) beyond() float64 {
	share := 0.5
	for _, q := range w.items {
		switch q.shape {
		case "wheels":
			share = math.Min(share, 0.1)
		case "heap":
			share = 0
		case "box":
			share = math.Min(share, 0.25)
		}
	}
	return share * w.reach
}

// root is the load at the foot of what a load stands on, and where it stands behind that
// load's front.
func (y *yard) root(id string) (string, float64) {
	x := 0.0
	for range y.all {
		on, ok := y.over[id]
		if !ok {
			break
		}
		x, id = x+y.inset[id], on
	}
	return id, x
}

// weigh adds up each row with what rides on it, and finds its place across: its masses on the
// deck's middle, within the deck.
func (y *yard) weigh() {
	for _, w := range y.rows {
		w.mass, w.moment, w.side, w.height, w.reach = 0, 0, 0, 0, w.along
		across := 0.0
		left := -w.across / 2
		for _, c := range w.items {
			for _, q := range y.all {
				if foot, x := y.root(q.id); foot == c.id {
					w.mass, w.moment = w.mass+q.mass, w.moment+q.mass*(w.inset(c)+x+q.x)
					across += q.mass * (left + c.across/2 + q.y)
					if !y.aloft[q.id] { // what is drawn over all stands in nothing's way
						w.height, w.reach = math.Max(
							w.height,
							y.topOf(q.id),
						), math.Max(
							w.reach,
							w.inset(c)+x+q.along,
						)
					}
				}
			}
			left += c.across + gapOf(c)
		}
		if w.mass > 0 {
			room := math.Max(0, (y.r.DeckWidth()-w.across)/2)
			w.side = math.Min(room, math.Max(-room, -across/w.mass))
		}
	}
}

// leaveOut takes out the row that goes first: hulls, for they go on a rack, then the lightest.
// It is drawn over another, so that its weight and height are counted: a box over the lowest stack
// of boxes that takes it, anything else over the highest load. Without such a load nothing is taken
// out.
func (y *yard) leaveOut() bool {
	if len(y.rows) == 0 {
		return false
	}
	hull := func(w *row) int {
		if w.items[0].shape == "hull" {
			return 0
		}
		return 1
	}
	worst := slices.MinFunc(y.rows, func(a, b *row) int {
		return cmp.Or(cmp.Compare(hull(a), hull(b)), cmp.Compare(a.mass, b.mass), cmp.Compare(b.along, a.along))
	})
	rows := slices.DeleteFunc(slices.Clone(y.rows), func(w *row) bool { return w == worst })
	for _, q := range worst.items {
		on, along := y.lowest(q, rows)
		if on == "" {
			on, along = y.highest(rows)
			y.aloft[q.id] = true
		}
		if on == "" {
			return false
		}
		y.over[q.id], y.inset[q.id] = on, (along-q.along)/2
	}
	y.rows = rows
	return true
}

// lowest is the topmost of the lowest stack of boxes no smaller than a box at its foot, and its length, m; empty where
// there is none.
func (y *yard) lowest(q *berth, rows []*row) (id string, along float64) {
	if q.shape != "box" || len(y.aloft) > 0 { // nothing grows up into what is drawn over all
		return "", 0
	}
	least := math.Inf(1)
	for _, w := range rows {
		for _, c := range w.items {
			if c.shape != "box" || c.along < q.along-1e-9 || c.across < q.across-1e-9 {
				continue
			}
			top, of, long := c.height, c.id, c.along
			for _, r := range y.all {
				if foot, _ := y.root(r.id); foot == c.id && r.id != c.id && y.topOf(r.id) > top {
					top, of, long = y.topOf(r.id), r.id, r.along
				}
			}
			if top < least-1e-9 {
				least, id, along = top, of, long
			}
		}
	}
	return id, along
}

// highest is the load whose top is over all others: of the rows, of what rides on them and of
// what its owner placed; and its length, m.
func (y *yard) highest(rows []*row) (id string, along float64) {
	most := math.Inf(-1)
	feet := map[string]bool{} // of what does not go itself
	take := func(top float64, of string, long float64) {
		feet[of] = true
		if top > most {
			most, id, along = top, of, long
		}
	}
	for _, it := range y.fixed {
		if !it.Part {
			take(it.Top-y.r.DeckHeight(), it.ID, it.Length())
		}
	}
	for _, w := range rows {
		for _, q := range w.items {
			take(q.height, q.id, q.along)
		}
	}
	for _, q := range y.all { // what rides: its height and all below it
		if foot, _ := y.root(q.id); foot != q.id && feet[foot] {
			take(y.topOf(q.id), q.id, q.along)
		}
	}
	return id, along
}

// topOf is how high a load with all below it stands over the deck, m.
func (y *yard) topOf(id string) float64 {
	top := 0.0
	for n := 0; id != "" && n <= len(y.all); id, n = y.over[id], n+1 {
		top += y.heightOf(id)
	}
	return top
}

func (y *yard) turnOf(id string) int {
	for _, q := range y.all {
		if q.id == id {
			return q.turn
		}
	}
	return 0
}

// heightOf is a load's height, of one that its owner placed its top over the deck, m.
func (y *yard) heightOf(id string) float64 {
	for _, q := range y.all {
		if q.id == id {
			return q.height
		}
	}
	for _, it := range y.fixed {
		if it.ID == id && !it.Part {
			return it.Top - y.r.DeckHeight()
		}
	}
	return 0
}

// gapOf is the room beside a load; machines on one track stand head to tail, their boxes in each other.
func gapOf(q *berth) float64 {
	switch {
	case q.shape == "hull":
		return hullGap
	case q.bars:
		return rig.HeadToTail(q.across) - q.across
	case q.shape == "wheels":
		return wheelsGap
	}
	return berthGap
}

// turnRound turns a load end for end.
func (q *berth) turnRound() { q.turn, q.x, q.y = 180, q.along-q.x, -q.y }

// headToTail reports whether a machine on one track has room beside those of a row: their wheels a little within
// the deck, their bars within the road's width.
func (w *row) headToTail(q *berth, deck, road float64) bool {
	first := w.items[0]
	if !first.bars || !q.bars || math.Abs(first.across-q.across) > 0.05 {
		return false
	}
	apart := rig.HeadToTail(math.Max(first.across, q.across))
	lines := float64(len(w.items)) * apart
	return lines/2 <= deck/2-wheelIn+1e-9 && lines+q.across <= math.Max(deck, road)+1e-9
}

// inRows lays the loads in rows across the deck, or on top of another.
func (y *yard) inRows() {
	r := y.r
	wide, hullWide := r.DeckWidth(), clearance.RoadWidth(r)
	taken := 0.0
	long := func(q *berth) bool { return q.shape == "hull" || q.along > r.DeckLength()/2 && q.across < wide/2 }
	for _, q := range y.all {
		limit := wide
		if q.shape == "hull" {
			limit = math.Max(wide, hullWide)
		}
		placed := false
		for _, w := range y.rows {
			first := w.items[0]
			if w.headToTail(q, wide, hullWide) {
				if len(w.items)%2 == 1 {
					q.turnRound()
				}
				taken += math.Max(0, q.along-w.along)
				w.across += gapOf(q) + q.across
				w.items, w.along = append(w.items, q), math.Max(w.along, q.along)
				placed = true
				break
			}
			if first.bars || q.bars || (first.shape == "wheels") != (q.shape == "wheels") ||
				(first.shape == "hull") != (q.shape == "hull") {
				continue
			}
			if grown := w.across + gapOf(q) + q.across; grown <= limit+1e-9 && (long(q) || q.along <= w.along+0.3) {
				taken += math.Max(0, q.along-w.along)
				w.items, w.across, w.along = append(w.items, q), grown, math.Max(w.along, q.along)
				placed = true
				break
			}
		}
		if placed {
			continue
		}
		hulls := q.shape == "hull" && len(y.rows) > 0 && y.rows[0].items[0].shape == "hull"
		if len(y.rows) > 0 && taken+q.along > r.DeckLength()+sternOver || hulls {
			if on := y.beneath(q); on != "" {
				y.over[q.id] = on
				continue
			}
		}
		y.rows = append(y.rows, &row{items: []*berth{q}, along: q.along, across: q.across})
		taken += q.along + berthGap
	}
}

// beneath is the narrowest load on the deck that another may stand on: a box at least as large
// and heavy, or for a hull another hull no narrower but for the gap beside it; none twice.
func (y *yard) beneath(q *berth) string {
	var best *berth
	for _, w := range y.rows {
		for _, c := range w.items {
			used := slices.Contains(slices.Collect(maps.Values(y.over)), c.id)
			fits := c.shape == "hull" && q.shape == "hull" && c.across >= q.across-hullGap/2 ||
				c.shape == "box" && q.shape == "box" && c.along >= q.along-1e-9 && c.across >= q.across-1e-9 &&
					c.mass >= q.mass
			if fits && !used && (best == nil || c.across < best.across) {
				best = c
			}
		}
	}
	if best == nil {
		return ""
	}
	return best.id
}

// seating is an order of rows and where each begins behind the headboard.
type seating struct {
	rows       []*row
	at         map[*row]float64
	miss, away float64
}

// How much is tried.
const (
	mostOrders = 120  // orders of rows
	fewOrders  = 24   // where something stands on the deck already
	berthGrid  = 0.05 // m, then
)

// seat tries orders of the rows, each slid as one to where the ball load is nearest to the
// middle of its window within the deck; of equals the one with its weights nearest to the
// axle. It reports whether there is room for them all.
func (y *yard) seat(ids []string) (best seating, ok bool) {
	base, l := y.base(ids)
	low, high := 0.0, 0.0
	if w := balance.Check(y.r).Window; w != nil {
		low, high = w.Low, w.High
	}
	target := (low + high) / 2
	aims := l > 0 && high > low
	best = seating{miss: math.Inf(1), away: math.Inf(1), at: map[*row]float64{}}
	stretch, mass := -berthGap, 0.0
	for _, w := range y.rows {
		stretch, mass = stretch+w.reach+berthGap, mass+w.mass
	}
	deck := y.r.DeckLength()
	ends := [][2]float64{{0, deck}}
	if stretch > deck { // it reaches beyond both ends as far as that may be
		ends = nil
	}
	bow := -math.Max(0, y.front-bowRoom)
	if stretch > deck || len(y.fixed) > 0 {
		ends = append(ends, [2]float64{bow, deck + sternOver})
	}
	if len(y.rows) == 1 { // alone it may be longer still, its middle on the deck
		ends = append(ends, [2]float64{bow, deck + stretch/2})
	}
	try := func(order []*row, from, from0, to float64) {
		start := y.pack(order, from)
		moment := 0.0
		for _, w := range order {
			x, beyond := start[w], w.beyond()
			if x < math.Max(from0, -beyond)-1e-9 || x+w.reach > math.Min(to, deck+beyond)+1e-9 {
				return
			}
			moment += w.moment + w.mass*x
		}
		s := seating{rows: slices.Clone(order), at: start}
		if aims && mass > 0 { // R = R₀ + Σ m·(L − x)/L
			ball := base + mass*(l-y.front-moment/mass)/l
			s.miss = math.Max(0, math.Max(low-ball, ball-high))
			s.away = math.Abs(ball-target) / 100
		}
		for w, x := range start {
			s.away += w.mass * math.Abs(y.front+x+w.along/2-l)
		}
		if s.miss < best.miss-0.5 || s.miss < best.miss+0.5 && s.away < best.away {
			best, ok = s, true
		}
	}
	for _, e := range ends {
		if e[1]-stretch < e[0]-1e-9 {
			continue
		}
		n := 0
		permute(y.rows, 0, func(order []*row) bool {
			if n++; len(y.fixed) == 0 {
				try(order, y.slide(order, e[0], e[1]-stretch, base, l, target, aims), e[0], e[1])
				return n < mostOrders
			}
			for from := e[0]; from <= e[1]-stretch+1e-9; from += berthGrid {
				try(order, from, e[0], e[1])
			}
			return n < fewOrders
		})
		if ok {
			return best, true
		}
	}
	if len(y.rows) == 1 && len(y.fixed) == 0 { // as it must: its middle on the deck's
		w := y.rows[0]
		return seating{rows: y.rows, at: map[*row]float64{w: (deck - w.along) / 2}}, true
	}
	best.rows = slices.Clone(y.rows) // with nothing to draw it over
	best.at = y.pack(y.rows, 0)
	return best, len(y.rows) == 0
}

// slide is where the rows begin so that the ball bears the target,
//
//	R = R₀ + m·(L − d − s − x)/L
//
// solved for s and held between lo and hi; without a target over the axle, a little forward.
func (y *yard) slide(order []*row, lo, hi, base, l, target float64, aims bool) float64 {
	mass, moment, x := 0.0, 0.0, 0.0
	for _, w := range order {
		mass, moment = mass+w.mass, moment+w.moment+w.mass*x
		x += w.reach + berthGap
	}
	s := (lo + hi) / 2
	switch {
	case aims && mass > 0:
		s = (base-target)*l/mass + l - moment/mass - y.front
	case l > 0 && mass > 0:
		s = l - y.front - 0.1*l - moment/mass
	}
	return math.Min(hi, math.Max(lo, s))
}

// pack lets rows follow each other from a place on, each behind what stands in its way.
func (y *yard) pack(order []*row, from float64) map[*row]float64 {
	start := map[*row]float64{}
	x := from
	for _, w := range order {
		for range y.fixed {
			for _, it := range y.fixed {
				if y.meets(w, x, it) {
					x = it.Rear - y.front + berthGap
				}
			}
		}
		start[w] = x
		x += w.reach + berthGap
	}
	return start
}

// meets reports whether a row that begins at x would stand in something.
func (y *yard) meets(w *row, x float64, it *rig.Item) bool {
	deck := y.r.DeckHeight()
	return it.Left < w.side+w.across/2-1e-9 && it.Right > w.side-w.across/2+1e-9 &&
		it.Bottom < deck+w.height-1e-9 && it.Top > deck+1e-9 &&
		it.Front-y.front < x+w.reach+berthGap/2 && it.Rear-y.front > x+1e-9
}

// permute calls each with every order of rows until it has enough.
func permute(rows []*row, k int, each func([]*row) bool) bool {
	if k >= len(rows)-1 {
		return each(rows)
	}
	for i := k; i < len(rows); i++ {
		rows[k], rows[i] = rows[i], rows[k]
		more := permute(rows, k+1, each)
		rows[k], rows[i] = rows[i], rows[k]
		if !more {
			return false
		}
	}
	return true
}

// base is the ball load without the rows, kg, and where the axle stands behind the ball; zeros
// where that is not known.
func (y *yard) base(ids []string) (ball, axle float64) {
	r := y.r
	if r.Axle == nil {
		return 0, 0
	}
	l := r.Axle.Nominal
	if r.Bears == nil {
		return 0, l
	}
	ball = r.Bears.Ball.Nominal
	for i := range r.Items {
		if it := &r.Items[i]; !it.Part && slices.Contains(ids, it.ID) {
			b := r.Moves(i)
			ball -= b.Mass * (l - b.X) / l
		}
	}
	for _, q := range y.all { // what is drawn over a load that its owner placed
		foot, x := y.root(q.id)
		for _, it := range y.fixed {
			if !it.Part && it.ID == foot {
				ball += q.mass * (l - it.Front - x - q.x) / l
			}
		}
	}
	return ball, l
}

func withPlaced(p *plan.Plan, trailer, outing string, placed map[string]plan.Placement) *plan.Plan {
	q := *p
	q.Outings = maps.Clone(p.Outings)
	o := q.Outings[outing]
	o.Layouts = maps.Clone(o.Layouts)
	l := o.Layouts[trailer]
	l.Placements = maps.Clone(l.Placements)
	for id, pl := range placed {
		l.Placements[id] = pl
	}
	o.Layouts[trailer] = l
	q.Outings[outing] = o
	return &q
}

func round10(v float64) quantity.Length { return quantity.Length(math.Round(v*100) / 100) }
