package review

import (
	"cmp"
	"maps"
	"math"
	"slices"

	"zygonos/core/balance"
	"zygonos/core/clearance"
	"zygonos/core/plan"
	"zygonos/core/quantity"
	"zygonos/core/rig"
)

// Places beside each other, m (practice, C).
const (
	berthGap  = 0.02 // between boxes
	hullGap   = 0.10 // between hulls
	sternOver = 1.0  // that a long thing may reach beyond the tail
	bowRoom   = 0.3  // before it, to the coupling
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
	optional      bool
}

// row is what stands side by side.
type row struct {
	items         []*berth
	along, across float64
	mass, moment  float64 // moment of its masses about its front, kg·m
}

// berths finds places as a sensible person would: machines nose first, hulls side by side on
// their keels, boxes in rows across the deck with their weight on the middle, what is over on
// top; the rows in the order, and slid together to the place, that brings the ball load
// nearest to the middle of its window. docs/method/place.md.
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
	with := withPlaced(p, trailer, outing, out)
	r := rig.Resolve(with, trailer, outing)
	if r == nil {
		return out
	}
	var all []*berth
	for i := range r.Items {
		it := &r.Items[i]
		if it.Part || !slices.Contains(ids, it.ID) {
			continue
		}
		b := r.Moves(i)
		q := &berth{id: it.ID, shape: it.Shape, mass: b.Mass,
			along: it.Length(), across: it.Right - it.Left, height: it.Top - it.Bottom,
			x: b.X - it.Front, y: b.Y - (it.Left+it.Right)/2, optional: out[it.ID].Optional}
		if q.shape == "box" && q.across > r.DeckWidth() && q.along <= r.DeckWidth() { // it goes across
			q.turn, q.along, q.across, q.x, q.y = 90, q.across, q.along, q.across/2-q.y, q.x-q.along/2
		}
		all = append(all, q)
	}
	slices.SortStableFunc(all, func(a, b *berth) int {
		return cmp.Or(cmp.Compare(b.mass, a.mass), cmp.Compare(b.along*b.across, a.along*a.across), cmp.Compare(a.id, b.id))
	})
	rows, over := inRows(r, all)
	rows, rackless := leaveOut(r, rows)
	best := seat(r, rows, ids)
	for _, row := range best.rows {
		y := -row.across / 2
		side := 0.0 // of its masses about its middle
		for _, q := range row.items {
			side += q.mass * (y + q.across/2 + q.y)
			y += q.across + gapOf(q)
		}
		shift := 0.0
		if row.mass > 0 {
			room := math.Max(0, (r.DeckWidth()-row.across)/2)
			shift = math.Min(room, math.Max(-room, -side/row.mass))
		}
		y = -row.across/2 + shift
		for _, q := range row.items {
			pl := out[q.id]
			pl.Turn = q.turn
			back := best.at[row] + (row.along-q.along)/2
			if q.shape == "hull" { // alike about their weights
				back = best.at[row]
			}
			pl.At = plan.Spot{Back: round10(back), Right: round10(y + q.across/2)}
			out[q.id] = pl
			y += q.across + gapOf(q)
		}
	}
	for id, on := range over {
		pl := out[id]
		pl.On, pl.ID = plan.OnLoad, on
		out[id] = pl
	}
	for _, q := range rackless {
		pl := out[q.id]
		c := highest(all, over, rows)
		pl.On, pl.ID, pl.At.Back = plan.OnLoad, c.id, round10((c.along-q.along)/2)
		out[q.id] = pl
		over[q.id] = c.id
	}
	return out
}

// leaveOut takes out rows until the others stand on the deck with what may reach beyond it: hulls
// first, for they go on a rack, then the lightest. What is taken out is drawn over the highest
// load, so that its weight and height are counted.
func leaveOut(r *rig.Rig, rows []*row) (fits []*row, over []*berth) {
	front, _ := r.Deck()
	room := r.DeckLength() + sternOver + math.Max(0, front-bowRoom)
	fits = rows
	for len(fits) > 1 {
		stretch := -berthGap
		for _, w := range fits {
			stretch += w.along + berthGap
		}
		if stretch <= room {
			break
		}
		worst := slices.MinFunc(fits, func(a, b *row) int {
			hull := func(w *row) int {
				if w.items[0].shape == "hull" {
					return 0
				}
				return 1
			}
			return cmp.Or(cmp.Compare(hull(a), hull(b)), cmp.Compare(a.mass, b.mass), cmp.Compare(b.along, a.along))
		})
		over = append(over, worst.items...)
		fits = slices.DeleteFunc(slices.Clone(fits), func(w *row) bool { return w == worst })
	}
	return fits, over
}

// highest is the load whose top, with what stands on it, is over all others.
func highest(all []*berth, over map[string]string, rows []*row) *berth {
	var best *berth
	most := math.Inf(-1)
	for _, w := range rows {
		for _, on := range w.items {
			height := on.height
			for again := true; again; {
				again = false
				for _, q := range all {
					if over[q.id] == on.id {
						on, height, again = q, height+q.height, true
						break
					}
				}
			}
			if height > most {
				best, most = on, height
			}
		}
	}
	return best
}

func gapOf(q *berth) float64 {
	if q.shape == "hull" {
		return hullGap
	}
	return berthGap
}

// inRows lays loads in rows across the deck; over are those that go on top of another.
func inRows(r *rig.Rig, all []*berth) (rows []*row, over map[string]string) {
	over = map[string]string{}
	wide, hullWide := r.DeckWidth(), clearance.RoadWidth(r)
	taken := 0.0
	long := func(q *berth) bool { return q.shape == "hull" || q.along > r.DeckLength()/2 && q.across < wide/2 }
	for _, q := range all {
		limit := wide
		if q.shape == "hull" {
			limit = math.Max(wide, hullWide)
		}
		placed := false
		for _, w := range rows {
			first := w.items[0]
			if first.shape == "wheels" || q.shape == "wheels" || (first.shape == "hull") != (q.shape == "hull") || long(first) != long(q) && q.shape == "hull" {
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
		full := taken+q.along > r.DeckLength()+sternOver && len(rows) > 0 || q.shape == "hull" && len(rows) > 0 && rows[0].items[0].shape == "hull"
		if full { // on top of the widest that bears it
			if on := beneath(rows, q, over); on != "" {
				over[q.id] = on
				continue
			}
		}
		rows = append(rows, &row{items: []*berth{q}, along: q.along, across: q.across})
		taken += q.along + berthGap
	}
	for _, w := range rows {
		for _, q := range w.items {
			front := (w.along - q.along) / 2
			if q.shape == "hull" {
				front = 0
			}
			w.mass, w.moment = w.mass+q.mass, w.moment+q.mass*(front+q.x)
		}
	}
	return rows, over
}

// beneath is the narrowest load on the deck that another may stand on: a box at least as large
// and heavy, or for a hull another hull no narrower but for the gap beside it; none twice.
func beneath(rows []*row, q *berth, over map[string]string) string {
	var best *berth
	for _, w := range rows {
		for _, c := range w.items {
			used := slices.Contains(slices.Collect(maps.Values(over)), c.id)
			fits := c.shape == "hull" && q.shape == "hull" && c.across >= q.across-hullGap/2 ||
				c.shape == "box" && q.shape == "box" && c.along >= q.along-1e-9 && c.across >= q.across-1e-9 && c.mass >= q.mass
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

// mostOrders is how many orders of rows are tried.
const mostOrders = 120

// seat tries orders of the rows, each slid as one to where the ball load is nearest to the
// middle of its window within the deck; of equals the one with its weights nearest to the
// axle.
func seat(r *rig.Rig, rows []*row, ids []string) seating {
	front, _ := r.Deck()
	base, l := seatBase(r, ids)
	low, high := 0.0, 0.0
	if w := balance.Check(r).Window; w != nil {
		low, high = w.Low, w.High
	}
	best := seating{miss: math.Inf(1), at: map[*row]float64{}}
	try := func(order []*row) {
		mass, moment, x := 0.0, 0.0, 0.0
		start := map[*row]float64{}
		stretch := 0.0
		for _, w := range order {
			start[w] = x
			mass, moment = mass+w.mass, moment+w.moment+w.mass*x
			x += w.along + berthGap
			stretch = math.Max(stretch, x-berthGap)
		}
		lo, hi := 0.0, r.DeckLength()-stretch
		if hi < 0 { // longer than the deck: it reaches beyond both ends as far as that may be
			lo, hi = math.Max(hi, -math.Max(0, front-bowRoom)), math.Min(0, hi+sternOver)
			if hi < lo {
				lo = hi
			}
		}
		slide := (lo + hi) / 2
		s := seating{rows: slices.Clone(order), at: start}
		switch {
		case l > 0 && mass > 0 && high > low: // R = R₀ + Σ m·(L − x)/L = target
			target := (low + high) / 2
			slide = (base-target)*l/mass + l - moment/mass - front
			slide = math.Min(hi, math.Max(lo, slide))
			ball := base + mass*(l-front-slide-moment/mass)/l
			s.miss = math.Max(0, math.Max(low-ball, ball-high))
		case l > 0 && mass > 0: // over the axle, a little forward
			slide = math.Min(hi, math.Max(lo, l-front-0.1*l-moment/mass))
		}
		for w := range s.at {
			s.at[w] += slide
			s.away += w.mass * math.Abs(front+s.at[w]+w.along/2-l)
		}
		if s.miss < best.miss-0.5 || s.miss < best.miss+0.5 && s.away < best.away {
			best = s
		}
	}
	n := 0
	permute(rows, 0, func(order []*row) bool { try(order); n++; return n < mostOrders })
	return best
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

// seatBase is the ball load without the loads that are to be placed, kg, and where the axle
// stands behind the ball; zeros where that is not known.
func seatBase(r *rig.Rig, ids []string) (ball, axle float64) {
	if r.Axle == nil || r.Bears == nil {
		if r.Axle != nil {
			return 0, r.Axle.Nominal
		}
		return 0, 0
	}
	l := r.Axle.Nominal
	ball = r.Bears.Ball.Nominal
	for i := range r.Items {
		it := &r.Items[i]
		if !it.Part && slices.Contains(ids, it.ID) && r.Layout.Placements[it.ID].On != plan.OnLoad {
			b := r.Moves(i)
			ball -= b.Mass * (l - b.X) / l
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
