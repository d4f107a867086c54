package frame

import (
	"cmp"
	"math"
	"slices"

	"gonum.org/v1/gonum/mat"
	"gonum.org/v1/gonum/spatial/r3"

	"zygonos/core/lang/finding"
	"zygonos/core/lang/quantity"
	"zygonos/core/lang/said"
	"zygonos/core/lang/scene"
	"zygonos/core/parts"
)

// picture is what the stage shows.
func picture(j *judged) *Picture {
	r := j.r
	p := &Picture{
		Whole: r.Drawn.Whole, Mass: *finding.Exactly(quantity.KindMass, r.Drawn.Mass), Empty: r.Bits(),
		Members: []MemberUse{}, Pieces: pieces(r.Drawn.Bars),
	}
	for i := range r.Drawn.Bars {
		b := &r.Drawn.Bars[i]
		u := MemberUse{
			Path: "/trailers/" + r.Scope.Trailer + "/frame/members/" + b.ID, Name: b.Member.Name,
			Says: parts.SectionText(b.Member.Profile), Length: *finding.Exactly(quantity.KindLength, b.Length),
			Mass: *finding.Exactly(quantity.KindMass, b.Each),
		}
		if t := b.Member.Taped; t != nil {
			u.Taped = math.Abs(float64(*t)-b.Length) < 5e-4
		}
		if _, c, share := j.of(i); c != nil {
			u.Use, u.Case = finding.Exactly(quantity.KindShare, share), c.name
			u.At = finding.Exactly(quantity.KindLength, c.uses[i].at)
			u.Bends = finding.Exactly(quantity.KindLength, j.m.sag(j.answers[0].s, i))
		}
		if len(j.answers) > 2 { // at rest
			u.Ends = j.ends(i)
		}
		p.Members = append(p.Members, u)
	}
	for _, a := range j.answers {
		use := finding.Exactly(quantity.KindShare, a.uses[a.worst].share)
		if use == nil {
			continue
		}
		p.Cases = append(p.Cases, CaseUse{
			Says: a.name, Use: *use, Member: j.path(a.worst), Name: j.m.bars[a.worst].Member.Name, Lifts: a.lifted,
		})
	}
	slices.SortStableFunc(p.Cases, func(a, b CaseUse) int { return cmp.Compare(b.Use.Value, a.Use.Value) })
	if len(j.answers) > 2 { // at rest
		p.Twist = j.m.twist()
		j.gains(p.Members)
		if p.Twist != nil {
			p.Twist.Bounces, p.Twist.Swings = j.swings()
		}
		p.Bent, p.Cracks, p.Lighter = j.bent(), j.cracks(), j.lighter()
		p.WearUnknown, p.Dip = j.wearUnknown(), dip(r)
	}
	p.Deep = *finding.Exactly(quantity.KindLength, Deep(r.Drawn.Bars))
	p.Cost = cost(r.Drawn.Bars)
	p.Views = views(j, p)
	return p
}

// Deep is how far the frame reaches from its highest top to its lowest underside, m.
func Deep(bars []parts.FrameBar) float64 {
	low, high := math.Inf(1), math.Inf(-1)
	for i := range bars {
		b := &bars[i]
		half := math.Abs(b.Axes[1].Z)*b.Wide/2 + math.Abs(b.Axes[2].Z)*b.High/2
		low = math.Min(low, math.Min(b.From.Z, b.To.Z)-half)
		high = math.Max(high, math.Max(b.From.Z, b.To.Z)+half)
	}
	if !(high > low) {
		return 0
	}
	return high - low
}

// ends are the greatest force and the greatest moment at both ends of a bar over all cases, each as one
// figure: √(N² + Vy² + Vz²) and √(T² + My² + Mz²).
func (j *judged) ends(bar int) []EndForce {
	first, last := -1, -1
	for e, p := range j.m.pieces {
		if p.bar == bar {
			if first < 0 {
				first = e
			}
			last = e
		}
	}
	if first < 0 {
		return nil
	}
	var force, moment [2]float64
	for _, a := range j.answers {
		for k, at := range [2]int{0, 6} {
			f := a.s.Ends[[2]int{first, last}[k]][at : at+6]
			force[k] = math.Max(force[k], math.Sqrt(f[0]*f[0]+f[1]*f[1]+f[2]*f[2]))
			moment[k] = math.Max(moment[k], math.Sqrt(f[3]*f[3]+f[4]*f[4]+f[5]*f[5]))
		}
	}
	var out []EndForce
	for k := range 2 {
		f, m := finding.Exactly(quantity.KindForce, force[k]), finding.Exactly(quantity.KindMoment, moment[k])
		if f == nil || m == nil {
			return nil
		}
		out = append(out, EndForce{*f, *m})
	}
	return out
}

// cost is what the members' metres cost; nil where a price is missing.
func cost(bars []parts.FrameBar) *finding.Measure {
	sum := 0.0
	for i := range bars {
		price := bars[i].Member.Profile.PerMetre
		if price == nil {
			return nil
		}
		sum += float64(*price) * bars[i].Length
	}
	return finding.Exactly(quantity.KindMoney, sum)
}

// bentShare is how far the bent shape stands off at most, share of the deck's length.
const bentShare = 0.06

// bent is the shape of the worst case: each member's own line through its joints and, between them, its
// middles; nil where nothing moves.
func (j *judged) bent() *Bent {
	_, worst, _ := j.most()
	lines := make([][]vec, len(j.m.bars))
	shifts := make([][]vec, len(j.m.bars))
	add := func(bar int, at, shift vec) {
		lines[bar], shifts[bar] = append(lines[bar], at), append(shifts[bar], shift)
	}
	for e, p := range j.m.pieces {
		b := &j.m.bars[p.bar]
		from, to := j.m.shift(
			worst.s,
			b,
			j.m.placeAt(p.bar, p.from),
		), j.m.shift(
			worst.s,
			b,
			j.m.placeAt(p.bar, p.to),
		)
		if len(lines[p.bar]) == 0 {
			add(p.bar, b.At(p.from), from)
		}
		y, z := worst.s.Sag(e)
		off := r3.Add(r3.Scale(y, b.Axes[1]), r3.Scale(z, b.Axes[2]))
		add(p.bar, b.At((p.from+p.to)/2), r3.Add(r3.Scale(0.5, r3.Add(from, to)), off))
		add(p.bar, b.At(p.to), to)
	}
	most := levelled(lines, shifts)
	if !(most > 1e-6) {
		return nil
	}
	times := math.Max(1, math.Round(bentShare*j.r.DeckLength()/most))
	out := &Bent{Case: worst.name, Times: times, Views: map[string][]scene.Shape{}}
	for id, at := range projections {
		shapes := []scene.Shape{}
		for i := range lines {
			s := scene.Shape{Form: scene.Polyline, Class: "bent"}
			for k := range lines[i] {
				s.Points = append(s.Points, at(r3.Add(lines[i][k], r3.Scale(times, shifts[i][k]))))
			}
			if len(s.Points) > 1 {
				shapes = append(shapes, s)
			}
		}
		out.Views[id] = shapes
	}
	return out
}

// levelled takes out of shifts how the frame moves as a whole, on its springs: of the heights the plane that
// fits best, of the rest the mean. It gives the largest that is left, m.
func levelled(lines, shifts [][]vec) (most float64) {
	var a mat.Dense // of 1, x, y
	var rows, rise []float64
	var mean vec
	for i := range lines {
		for k, p := range lines[i] {
			rows, rise = append(rows, 1, p.X, p.Y), append(rise, shifts[i][k].Z)
			mean = r3.Add(mean, shifts[i][k])
		}
	}
	n := len(rise)
	mean = r3.Scale(1/float64(n), mean)
	a.CloneFrom(mat.NewDense(n, 3, rows))
	var plane mat.VecDense
	if err := plane.SolveVec(&a, mat.NewVecDense(n, rise)); err != nil {
		plane = *mat.NewVecDense(3, []float64{mean.Z, 0, 0})
	}
	for i := range lines {
		for k, p := range lines[i] {
			s := r3.Sub(
				shifts[i][k],
				vec{X: mean.X, Y: mean.Y, Z: plane.AtVec(0) + plane.AtVec(1)*p.X + plane.AtVec(2)*p.Y},
			)
			shifts[i][k] = s
			most = math.Max(most, r3.Norm(s))
		}
	}
	return most
}

// pieces are the cut list.
func pieces(bars []parts.FrameBar) []PieceRow {
	out := []PieceRow{}
	marks := parts.Marks(bars)
	for _, p := range parts.FramePieces(bars) {
		n := len(p.Members)
		row := PieceRow{
			Says: parts.SectionText(p.Profile), Count: n, Length: *finding.Exactly(quantity.KindLength, p.Overall),
			Mass: *finding.Exactly(quantity.KindMass, p.Each*float64(n)), Members: p.Members,
			Ends: [2]said.Sentence{p.Ends[0].Text(), p.Ends[1].Text()},
		}
		for i := range bars {
			if slices.Contains(p.Members, bars[i].ID) {
				row.Marks = append(row.Marks, marks[i])
				row.Holes = max(row.Holes, len(bars[i].Cuts))
			}
		}
		out = append(out, row)
	}
	return out
}

// outer are the outermost rails, left and right; −1 where there is none.
func (m *model) outer() (left, right int) {
	left, right = -1, -1
	for i := range m.bars {
		r := &m.bars[i]
		if math.Abs(r.Axes[0].X) < 0.9 || len(m.places[i]) < 2 {
			continue
		}
		y := r.Middle().Y
		if y < -0.05 && (left < 0 || y < m.bars[left].Middle().Y) {
			left = i
		}
		if y > 0.05 && (right < 0 || y > m.bars[right].Middle().Y) {
			right = i
		}
	}
	return left, right
}

// corners are the four corner joints of the frame under the deck: the ends of its outermost rails, front
// left, front right, rear left, rear right; nil where there are not two.
func (m *model) corners() []int {
	left, right := m.outer()
	if left < 0 || right < 0 {
		return nil
	}
	ends := func(bar int) (front, rear int) {
		first, last := m.places[bar][0], m.places[bar][0]
		for _, p := range m.places[bar] {
			x := m.bars[bar].At(p.at).X
			if x < m.bars[bar].At(first.at).X {
				first = p
			}
			if x > m.bars[bar].At(last.at).X {
				last = p
			}
		}
		return first.node, last.node
	}
	fl, rl := ends(left)
	fr, rr := ends(right)
	return []int{fl, fr, rl, rr}
}
