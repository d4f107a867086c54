package frame

import (
	"math"
	"slices"
	"strings"

	"gonum.org/v1/gonum/spatial/r3"

	"zygonos/core/lang/finding"
	"zygonos/core/lang/quantity"
	"zygonos/core/parts"
	"zygonos/core/sums/frame3d"
)

// body is a mass that the deck carries: where it stands and where its centre is, in the deck's coordinates.
type body struct {
	path   string
	mass   quantity.Range[float64]
	centre vec
	feet   []vec // on the deck: its weight is shared so that it and its moments are whole
}

// bodies are the loads and parts of the outing, and what of the drawn empty trailer is neither a member
// nor the axle.
func (b *model) bodies() (out []body) {
	r := b.r
	front, deck := r.DeckFront.Nominal, r.DeckHeight()
	here := func(x, y, z float64) vec { return vec{X: x - front, Y: y, Z: z - deck} }
	for i := range r.Items {
		it := &r.Items[i]
		if it.Mass == nil {
			continue
		}
		base := it
		for range len(r.Items) { // what stands on another thing presses where that one stands
			if base.OnDeck || base.Carrier == "" {
				break
			}
			next := base
			for k := range r.Items {
				if r.Items[k].ID == base.Carrier && &r.Items[k] != base {
					next = &r.Items[k]
				}
			}
			if next == base {
				break
			}
			base = next
		}
		o := body{path: it.Path, mass: *it.Mass, centre: here(it.X, it.Y, it.Z)}
		if w := it.Load; w != nil && w.Rolling != nil && w.Rolling.FrontAxle != nil && w.Rolling.Wheelbase != nil &&
			base == it {
			o.feet = b.wheelsOf(it.Front-front, it.Rear-front, it.Left, it.Right,
				float64(w.Rolling.FrontAxle.Value), float64(w.Rolling.Wheelbase.Value), it.Turn)
		} else {
			o.feet = grid(base.Front-front, base.Rear-front, base.Left, base.Right)
		}
		out = append(out, o)
	}
	length, half := r.DeckLength(), r.DeckWidth()/2
	for _, bit := range r.Bits() {
		if bit.Path == "/trailers/"+r.Scope.Trailer+"/frame" ||
			bit.Path == "/trailers/"+r.Scope.Trailer+"/runningGear" {
			continue
		}
		at := bit.At - front
		o := body{path: bit.Path, mass: rangeOf(&bit.Mass), centre: vec{X: at}}
		if at > 0 && at < length {
			o.feet = grid(0, length, -half, half)
		}
		out = append(out, o)
	}
	return out
}

// unladen are those of the empty trailer.
func unladen(all []body) []body {
	return slices.DeleteFunc(slices.Clone(all), func(o body) bool { return strings.HasPrefix(o.path, "/loads/") })
}

// rangeOf is a measure as a range.
func rangeOf(m *finding.Measure) quantity.Range[float64] {
	s := quantity.Exactly(m.Value)
	if m.Low != nil && m.High != nil {
		s.Low, s.High = *m.Low, *m.High
	}
	return s
}

// wheelsOf are the four wheels of a machine as it is turned, its track taken at four fifths of its width.
func (b *model) wheelsOf(front, rear, left, right, first, base float64, turn int) (out []vec) {
	const in = 0.1 // of its width, from its side to a wheel
	for _, along := range [2]float64{first, first + base} {
		for _, side := range [2]float64{in, 1 - in} {
			p := vec{X: front + along, Y: left + side*(right-left)}
			switch turn {
			case 90: // its front looks to the right
				p = vec{X: front + side*(rear-front), Y: right - along}
			case 180:
				p.X = rear - along
			case 270:
				p = vec{X: front + side*(rear-front), Y: left + along}
			}
			out = append(out, p)
		}
	}
	return out
}

// grid are nine places of a footprint, each the middle of a ninth of it.
func grid(x0, x1, y0, y1 float64) (out []vec) {
	out = make([]vec, 0, 9)
	for k := range 3 { // along each line, so that what lies under it is found once
		for i := range 3 {
			out = append(out, vec{
				X: x0 + (x1-x0)*(2*float64(i)+1)/6, Y: y0 + (y1-y0)*(2*float64(k)+1)/6,
			})
		}
	}
	return out
}

// shares are what each foot bears of a vertical force at (x, y) and of a couple about y (mx lifts what is
// behind) and about x (my lifts what is to the right): evenly, and linear over the feet, so that force and
// moments are whole:
//
//	w = F/n + (F·(x − x̄) + Cx)·(x_j − x̄)/Σ(x_j − x̄)² + the same across
func shares(feet []vec, force, x, y, cx, cy float64) []float64 {
	n := float64(len(feet))
	var mean vec
	for _, f := range feet {
		mean = r3.Add(mean, r3.Scale(1/n, f))
	}
	xx, yy := 0.0, 0.0
	for _, f := range feet {
		xx += (f.X - mean.X) * (f.X - mean.X)
		yy += (f.Y - mean.Y) * (f.Y - mean.Y)
	}
	out := make([]float64, len(feet))
	for i, f := range feet {
		out[i] = force / n
		if xx > 1e-9 {
			out[i] += (force*(x-mean.X) + cx) * (f.X - mean.X) / xx
		}
		if yy > 1e-9 {
			out[i] += (force*(y-mean.Y) + cy) * (f.Y - mean.Y) / yy
		}
	}
	return out
}

// loader puts forces on the frame.
type loader struct {
	*model
	c     *frame3d.Case
	room  frame3d.Buffer
	alone bool // without the frame's own weight and the axle's
}

// under are the cross members that lie under a place across: of those that stand in one line the nearest,
// and none that ends well beside it while others do not.
func (m *model) under(y float64) (out []parts.Bearer) {
	if known, ok := m.lines.Load(y); ok {
		return known.([]parts.Bearer)
	}
	defer func() { m.lines.Store(y, out) }()
	beside := func(b *parts.Bearer) float64 { return math.Max(0, math.Max(b.Low-y, y-b.High)) }
	least := math.Inf(1)
	for i := range m.cross {
		least = math.Min(least, beside(&m.cross[i]))
	}
	const line, near = 0.01, 0.02 // m
	for _, b := range m.cross {
		if beside(&b) > least+near {
			continue
		}
		if n := len(out); n > 0 && b.X-out[n-1].X < line {
			if beside(&b) < beside(&out[n-1]) {
				out[n-1] = b
			}
			continue
		}
		out = append(out, b)
	}
	return out
}

// press puts a force at a place of the deck on the members that bear it there: between two cross members
// by the lever, beyond the last two as the deck juts out over them; where there are no cross members,
// between what runs along. It reports whether anything bears the deck.
func (l *loader) press(at, force vec) bool {
	if cross := l.under(at.Y); len(cross) >= 2 {
		i := 0
		for i < len(cross)-2 && cross[i+1].X < at.X {
			i++
		}
		p, q := &cross[i], &cross[i+1]
		s := (at.X - p.X) / (q.X - p.X)
		l.point(p.Bar, at.Y, false, vec{X: p.X, Y: at.Y, Z: at.Z}, r3.Scale(1-s, force))
		l.point(q.Bar, at.Y, false, vec{X: q.X, Y: at.Y, Z: at.Z}, r3.Scale(s, force))
		return true
	}
	if len(l.along) < 2 {
		return false
	}
	i := 0
	for i < len(l.along)-2 && l.along[i+1].Y < at.Y {
		i++
	}
	p, q := &l.along[i], &l.along[i+1]
	if q.Y-p.Y < 1e-6 {
		return false
	}
	s := (at.Y - p.Y) / (q.Y - p.Y)
	l.point(p.Bar, at.X, true, vec{X: at.X, Y: p.Y, Z: at.Z}, r3.Scale(1-s, force))
	l.point(q.Bar, at.X, true, vec{X: at.X, Y: q.Y, Z: at.Z}, r3.Scale(s, force))
	return true
}

// point puts a force that acts at a place on a bar, where the bar is nearest across or along: what the
// place stands off the bar turns it.
func (l *loader) point(bar int, at float64, along bool, place, force vec) {
	r := &l.bars[bar]
	from, dir := r.From.Y, r.Axes[0].Y
	if along {
		from, dir = r.From.X, r.Axes[0].X
	}
	s := math.Max(0, math.Min(r.Length, (at-from)/dir))
	off := r3.Sub(place, r.At(s))
	off.X = 0 // the lever along x is in how the force was shared
	if along {
		off.X, off.Y = place.X-r.At(s).X, 0
	}
	l.onBar(bar, s, force, r3.Cross(off, force))
}

// onBar puts a force and a moment on a bar at a place.
func (l *loader) onBar(bar int, s float64, force, moment vec) {
	for e, p := range l.pieces {
		if p.bar == bar && s >= p.from-1e-9 && s <= p.to+1e-9 {
			l.c.Points = append(
				l.c.Points,
				frame3d.PointLoad{Member: e, At: s - p.from, Force: force, Moment: moment},
			)
			return
		}
	}
}

// field is how everything is pushed: a mass of 1 kg at a place by so many N.
type field func(at vec) vec

// still is gravity alone, k times.
func still(k float64) field { return func(vec) vec { return vec{Z: -k * quantity.Gravity} } }

// weigh puts every mass on the frame, each pushed as the field says; high takes masses at their most. It
// reports whether the deck bears all.
func (l *loader) weigh(all []body, push field, high bool) bool {
	ok := true
	extra := 1 + parts.Extra(l.r.Trailer.Frame)
	l.c.Points = slices.Grow(l.c.Points, 18*len(all)) // nine places, two members each
	if !l.alone {
		l.c.Lines = slices.Grow(l.c.Lines, len(l.pieces))
	}
	for e, p := range l.pieces {
		if l.alone {
			break
		}
		r := &l.bars[p.bar]
		if p.to-p.from < 1e-9 {
			continue
		}
		w := r.Each / r.Length * extra
		l.c.Lines = append(l.c.Lines, frame3d.LineLoad{
			Member: e, A: 0, B: p.to - p.from,
			ForceA: r3.Scale(w, push(r.At(p.from))), Force: r3.Scale(w, push(r.At(p.to))),
		})
	}
	for i := range all {
		o := &all[i]
		m := o.mass.Nominal
		if high {
			m = o.mass.High
		}
		f := r3.Scale(m, push(o.centre))
		if len(o.feet) == 0 {
			l.bare(o.centre, f)
			continue
		}
		// pushed at its centre, it presses harder on the side that it is pushed to
		ws := shares(o.feet, f.Z, o.centre.X, o.centre.Y, -f.X*o.centre.Z, -f.Y*o.centre.Z)
		n := float64(len(o.feet))
		for k, foot := range o.feet {
			ok = l.press(foot, vec{X: f.X / n, Y: f.Y / n, Z: ws[k]}) && ok
		}
	}
	if len(l.hubs) > 0 && !l.alone {
		m := float64(l.r.Gear().Value)
		for _, h := range l.hubs {
			for _, node := range h {
				f := push(l.m.Nodes[node])
				f.Z = -quantity.Gravity // it is not sprung
				l.c.Nodes = append(
					l.c.Nodes,
					frame3d.NodeLoad{Node: node, Force: r3.Scale(m/float64(2*len(l.hubs)), f)},
				)
			}
		}
	}
	return ok
}

// bare puts a force before or behind the deck on the drawbar: at its place between the ball and the first
// thing that it meets, else on the ball.
func (l *loader) bare(at, force vec) {
	best, where, near := -1, 0.0, math.Inf(1)
	for _, n := range l.r.Drawn.Noses {
		r := &l.bars[n]
		if math.Abs(r.Axes[0].X) < 0.3 {
			continue
		}
		s := (at.X - r.From.X) / r.Axes[0].X
		if off := math.Max(0, math.Max(-s, s-r.Length)); off < near {
			best, near, where = n, off, math.Max(0, math.Min(r.Length, s))
		}
	}
	if best < 0 {
		l.c.Nodes = append(l.c.Nodes, frame3d.NodeLoad{Node: 0, Force: force})
		return
	}
	off := vec{X: at.X - l.bars[best].At(where).X}
	l.onBar(best, where, force, r3.Cross(off, force))
}
