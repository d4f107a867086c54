package frame3d

import (
	"math"
	"slices"
	"sync"

	"gonum.org/v1/gonum/blas/blas64"
	"gonum.org/v1/gonum/mat"
	"gonum.org/v1/gonum/spatial/r3"
)

// Solver is a frame whose stiffness is factorised: each further case costs little.
type Solver struct {
	model *Model
	els   []element
	order []int     // of the nodes, so that the band is narrow
	at    [][6]int  // unknown of a node's freedom; −1: held or carried by nothing
	scale []float64 // 1/√ of the diagonal
	held  [][6]int  // support that holds a node's freedom rigidly, +1; 0: none
	k     []nonzero // of each element
	fixed []int     // elements with a held freedom
	chol  factor
	n     int
	once  sync.Once // for the factors
	err   error
}

// factor is U of A = UᵀU, row by row from its diagonal on, each as far as it is not zero.
type factor [][]float64

// nonzero is an element's stiffness with its freedoms, for what is held.
type nonzero struct {
	k    matrix
	node [12]int
}

// free is the least eigenvalue of the scaled stiffness, whose diagonal is of ones, under which something moves
// freely. What rounding leaves of a mechanism's zero is 1e-15 or so (Cholesky's factors are those of a matrix
// that differs by a few n·ε); frames that stand have 1e-10 and more.
const free = 1e-13

// New makes the stiffness of a frame ready. Errors: ErrEmpty, ErrSupport, *MemberError,
// *MechanismError.
func New(model *Model) (*Solver, error) {
	s, err := Ready(model)
	if err != nil {
		return nil, err
	}
	return s, s.Factorise()
}

// Ready is New without the factors, which Factorise makes. Errors: ErrEmpty, *MemberError.
func Ready(model *Model) (*Solver, error) {
	if len(model.Members) == 0 {
		return nil, ErrEmpty
	}
	n := len(model.Members)
	s := &Solver{model: model, els: make([]element, n), k: make([]nonzero, n)}
	for i := range s.els {
		e, nz := &s.els[i], &s.k[i]
		if err := e.ready(model, i); err != nil {
			return nil, err
		}
		nz.k = e.turned()
		for r := range 12 {
			nz.node[r] = e.node(r)
		}
	}
	s.order = ordered(model)
	return s, nil
}

// Factorise makes the factors of the stiffness on the model's supports, once, however many ask at a time.
// Errors: ErrSupport, *MechanismError.
func (s *Solver) Factorise() error {
	s.once.Do(func() { s.err = s.support() })
	return s.err
}

// On is the same frame on other supports; its members are not made ready again.
func (s *Solver) On(supports []Support) (*Solver, error) {
	model := *s.model
	model.Supports = supports
	out := &Solver{model: &model, els: s.els, order: s.order, k: s.k}
	return out, out.Factorise()
}

// support numbers what is free on the model's supports and factorises its stiffness.
func (s *Solver) support() error {
	nodes := len(s.model.Nodes)
	s.at, s.held = make([][6]int, nodes), make([][6]int, nodes)
	any := false
	for i, sup := range s.model.Supports {
		if sup.Node < 0 || sup.Node >= nodes {
			continue
		}
		for d := range 6 {
			if sup.Held[d] {
				s.held[sup.Node][d] = i + 1
			}
			any = any || sup.Held[d] || sup.Spring[d] > 0
		}
	}
	if !any {
		return ErrSupport
	}
	for i := range s.els {
		m := s.els[i].m
		if s.held[m.From] != [6]int{} || s.held[m.To] != [6]int{} {
			s.fixed = append(s.fixed, i)
		}
	}
	springs := springsOf(s.model)
	diagonal := slices.Clone(springs)
	for i := range s.k {
		nz := &s.k[i]
		for r := range 12 {
			diagonal[nz.node[r]][r%6] += nz.k[r][r]
		}
	}
	s.number(diagonal)
	return s.factorise(springs)
}

// springsOf are the springs of the supports by node.
func springsOf(model *Model) [][6]float64 {
	out := make([][6]float64, len(model.Nodes))
	for _, sup := range model.Supports {
		if sup.Node < 0 || sup.Node >= len(model.Nodes) {
			continue
		}
		for d := range 6 {
			if !sup.Held[d] && sup.Spring[d] > 0 {
				out[sup.Node][d] += sup.Spring[d]
			}
		}
	}
	return out
}

func (e *element) node(r int) int {
	if r < 6 {
		return e.m.From
	}
	return e.m.To
}

// number gives each free freedom its unknown, nodes in an order that keeps the band narrow (reverse
// Cuthill-McKee). A freedom that nothing stiffens, as the turn of a node whose members are all
// hinged, is none.
func (s *Solver) number(diagonal [][6]float64) {
	most := 0.0
	for i := range diagonal {
		for _, v := range diagonal[i] {
			most = max(most, v)
		}
	}
	for _, node := range s.order {
		for d := range 6 {
			s.at[node][d] = -1
			if s.held[node][d] == 0 && diagonal[node][d] > most*1e-15 {
				s.at[node][d] = s.n
				s.n++
				s.scale = append(s.scale, 1/math.Sqrt(diagonal[node][d]))
			}
		}
	}
}

// ordered is reverse Cuthill-McKee over the nodes that members join.
func ordered(model *Model) []int {
	near := make([][]int, len(model.Nodes))
	for _, m := range model.Members {
		near[m.From] = append(near[m.From], m.To)
		near[m.To] = append(near[m.To], m.From)
	}
	seen := make([]bool, len(near))
	byDegree := func(a, b int) int {
		if len(near[a]) != len(near[b]) {
			return len(near[a]) - len(near[b])
		}
		return a - b
	}
	all := make([]int, len(near))
	for i := range all {
		all[i] = i
	}
	slices.SortFunc(all, byDegree)
	var out []int
	for _, start := range all {
		if seen[start] {
			continue
		}
		seen[start] = true
		queue := []int{start}
		for i := 0; i < len(queue); i++ {
			next := slices.Clone(near[queue[i]])
			slices.SortFunc(next, byDegree)
			for _, n := range next {
				if !seen[n] {
					seen[n] = true
					queue = append(queue, n)
				}
			}
		}
		out = append(out, queue...)
	}
	slices.Reverse(out)
	return out
}

// factorise puts the stiffness together, scaled to a diagonal of ones, and factorises it.
func (s *Solver) factorise(springs [][6]float64) error {
	if s.n == 0 {
		return nil
	}
	band := 0
	for i := range s.k {
		nz := &s.k[i]
		low, high := s.n, 0
		for r := range 12 {
			if i := s.at[nz.node[r]][r%6]; i >= 0 {
				low, high = min(low, i), max(high, i)
			}
		}
		band = max(band, high-low)
	}
	fill := func(shift float64) *mat.SymBandDense {
		k := mat.NewSymBandDense(s.n, band, nil)
		raw := k.RawSymBand()
		add := func(i, j int, v float64) { // both halves are alike: the upper one is kept
			if i >= 0 && j >= 0 {
				raw.Data[min(i, j)*raw.Stride+max(i, j)-min(i, j)] += v * s.scale[i] * s.scale[j]
			}
		}
		for i := range s.k {
			nz := &s.k[i]
			var at [12]int
			for r := range 12 {
				at[r] = s.at[nz.node[r]][r%6]
			}
			for r := range 12 {
				for c := range r + 1 {
					v := nz.k[r][c]
					if r != c && at[r] == at[c] { // both ends on one node
						v *= 2
					}
					if v != 0 {
						add(at[r], at[c], v)
					}
				}
			}
		}
		for node := range springs {
			for d, v := range springs[node] {
				if v > 0 {
					add(s.at[node][d], s.at[node][d], v)
				}
			}
		}
		for i := range s.n {
			raw.Data[i*raw.Stride] += shift
		}
		return k
	}
	var ok bool
	if s.chol, ok = upper(fill(0).RawSymBand()); ok && s.softest() > free {
		return nil
	}
	return s.moves(fill(1e-9))
}

// softest is the least eigenvalue of the scaled stiffness, or a little more: two steps of inverse iteration from
// a start that is square to no likely motion. The pivots would not do: behind a soft member that of a free motion
// is rounded to 1e-9, hardly less than some of a frame that stands.
func (s *Solver) softest() float64 {
	x := make([]float64, s.n)
	for i := range x {
		x[i] = 1 + float64(i%7)/7
	}
	v := blas64.Vector{N: s.n, Inc: 1, Data: x}
	least := 0.0
	for range 2 {
		blas64.Scal(1/blas64.Nrm2(v), v)
		s.substitute(x)
		least = 1 / blas64.Nrm2(v)
	}
	return least
}

// upper is the Cholesky factor of A, in A's own memory; false where A is not positive. lapack64.Pbtrf gives the
// same in twice the time: it does not pass over the zeros of a row.
func upper(a blas64.SymmetricBand) (factor, bool) {
	out := make(factor, a.N)
	for i := range out {
		n := min(a.K, a.N-1-i)
		row := a.Data[i*a.Stride : i*a.Stride+1+n]
		if !(row[0] > 0) {
			return nil, false
		}
		for n > 0 && row[n] == 0 {
			n--
		}
		row = row[:n+1]
		out[i] = row
		row[0] = math.Sqrt(row[0])
		for k := 1; k <= n; k++ {
			row[k] /= row[0]
		}
		for k := 1; k <= n; k++ {
			if row[k] != 0 {
				add(-row[k], row[k:], a.Data[(i+k)*a.Stride:])
			}
		}
	}
	return out, true
}

// add adds so many times what is in from to what is at the beginning of to.
func add(times float64, from, to []float64) {
	n := len(from)
	blas64.Axpy(times, blas64.Vector{N: n, Inc: 1, Data: from}, blas64.Vector{N: n, Inc: 1, Data: to})
}

// moves finds what moves most in the softest way that the frame can move: inverse iteration on the
// stiffness with a little added to its diagonal.
func (s *Solver) moves(k *mat.SymBandDense) error {
	var chol mat.BandCholesky
	x := mat.NewVecDense(s.n, nil)
	for i := range s.n {
		x.SetVec(i, 1+float64(i%7)/7)
	}
	if chol.Factorize(k) {
		for range 4 {
			var y mat.VecDense
			if err := chol.SolveVecTo(&y, x); err != nil && y.Len() == 0 {
				break
			}
			norm := mat.Norm(&y, 2)
			if !(norm > 0) || math.IsInf(norm, 0) {
				break
			}
			y.ScaleVec(1/norm, &y)
			x = &y
		}
	}
	worst := &MechanismError{}
	most := -1.0
	for node := range s.at {
		for d, i := range s.at[node] {
			if i < 0 {
				continue
			}
			if v := math.Abs(x.AtVec(i)); v > most*(1+1e-6) {
				most, worst.Node, worst.Dir = v, node, Dir(d)
			}
		}
	}
	return worst
}

// Solution is how a frame answers one case.
type Solution struct {
	Moved     [][6]float64  // of each node, m and rad, global axes
	Reactions [][6]float64  // of each support, N and N·m, global axes: what holds the frame
	Ends      [][12]float64 // of each member: what its nodes do to its ends, own axes

	s *Solver
	// loads of each member, in its own axes
	points [][]point
	lines  [][]line
}

// point is a point load in a member's own axes, on the member.
type point struct {
	at   float64
	p, m Vec
}

// line is a line load in a member's own axes, cut to the member: strength at its begin and its end.
type line struct {
	a, b   float64
	pa, pb Vec
}

// Solve answers one case.
func (s *Solver) Solve(c *Case) *Solution {
	nodes := len(s.model.Nodes)
	room := roomFor(nodes, len(s.els), s.n)
	defer rooms.Put(room)
	load, sent := room.load, room.sent // sent: what the loads along a member do to its rigid ends …
	add := func(node int, force, moment Vec) {
		if node < 0 || node >= nodes {
			return
		}
		for d, v := range [6]float64{force.X, force.Y, force.Z, moment.X, moment.Y, moment.Z} {
			load[node][d] += v
		}
	}
	for _, l := range c.Nodes {
		add(l.Node, l.Force, l.Moment)
	}
	out := &Solution{Moved: make([][6]float64, nodes), s: s}
	out.points = gathered(len(s.els), c.Points, func(l *PointLoad) int { return l.Member }, s.onPoint)
	out.lines = gathered(len(s.els), c.Lines, func(l *LineLoad) int { return l.Member }, s.onLine)
	for i := range s.els { // … and what they pass on to the nodes
		if len(out.points[i]) == 0 && len(out.lines[i]) == 0 {
			continue
		}
		e := &s.els[i]
		for _, p := range out.points[i] {
			e.shape(&sent[i], p.at, p.p, p.m)
		}
		for _, l := range out.lines[i] {
			for _, g := range gauss {
				long := l.b - l.a
				strength := r3.Add(r3.Scale(1-g[0], l.pa), r3.Scale(g[0], l.pb))
				e.shape(&sent[i], l.a+g[0]*long, r3.Scale(g[1]*long, strength), Vec{})
			}
		}
		sent[i] = e.pass(&sent[i])
		for end := range 2 {
			f := outOf(e.axes, Vec{X: sent[i][end*6], Y: sent[i][end*6+1], Z: sent[i][end*6+2]})
			m := outOf(e.axes, Vec{X: sent[i][end*6+3], Y: sent[i][end*6+4], Z: sent[i][end*6+5]})
			add(e.node(end*6), f, r3.Add(m, r3.Cross(e.m.Ends[end].Arm, f)))
		}
	}
	foot := make([][6]float64, len(s.model.Supports))
	for _, mv := range c.Moves {
		if mv.Support < 0 || mv.Support >= len(s.model.Supports) || mv.Dir < X || mv.Dir > RZ {
			continue
		}
		sup := &s.model.Supports[mv.Support]
		foot[mv.Support][mv.Dir] += mv.By
		if sup.Held[mv.Dir] {
			out.Moved[sup.Node][mv.Dir] = mv.By
		} else {
			load[sup.Node][mv.Dir] += sup.Spring[mv.Dir] * mv.By
		}
	}
	s.solve(out, room)
	s.react(out, room, foot)
	out.Ends = make([][12]float64, len(s.els))
	for i := range s.els {
		e := &s.els[i]
		u := e.moved(out.Moved)
		for r := range 12 {
			f := -sent[i][r]
			for _, x := range partners[r] {
				f += e.k[r][x] * u[x]
			}
			out.Ends[i][r] = f
		}
	}
	return out
}

// partners are the freedoms that a member's own stiffness ties to each: along it, about it, and in its two
// planes; springs at its ends leave that as it is.
var partners = func() (out [12][]int) {
	for _, g := range [][]int{{0, 6}, {3, 9}, {1, 5, 7, 11}, {2, 4, 8, 10}} {
		for _, r := range g {
			out[r] = g
		}
	}
	return out
}()

// gathered are loads by the member that each acts on, in its own axes, all in one piece of memory.
func gathered[L, T any](members int, loads []L, of func(*L) int, on func(*L) T) [][]T {
	out := make([][]T, members)
	if len(loads) == 0 {
		return out
	}
	count := make([]int, members)
	for i := range loads {
		if m := of(&loads[i]); m >= 0 && m < members {
			count[m]++
		}
	}
	all := make([]T, len(loads))
	at := 0
	for m, c := range count {
		out[m] = all[at : at : at+c]
		at += c
	}
	for i := range loads {
		if m := of(&loads[i]); m >= 0 && m < members {
			out[m] = append(out[m], on(&loads[i]))
		}
	}
	return out
}

// onPoint is a point load in its member's own axes; beyond the member's ends it acts at them.
func (s *Solver) onPoint(l *PointLoad) point {
	e := &s.els[l.Member]
	return point{math.Max(0, math.Min(e.l, l.At)), into(e.axes, l.Force), into(e.axes, l.Moment)}
}

// onLine is the part of a line load that lies on its member, in the member's own axes; what lies beside it
// has no length.
func (s *Solver) onLine(l *LineLoad) line {
	e := &s.els[l.Member]
	a, b := math.Max(0, l.A), math.Min(e.l, l.B)
	if !(b > a) {
		return line{a: a, b: a}
	}
	return line{a, b, into(e.axes, l.at(a)), into(e.axes, l.at(b))}
}

// room is what solving one case needs meanwhile.
type room struct {
	load, sum [][6]float64 // by node
	sent      [][12]float64
	b         []float64
}

// rooms are used again.
var rooms = sync.Pool{New: func() any { return &room{} }}

// roomFor is a cleared room.
func roomFor(nodes, members, unknowns int) *room {
	r := rooms.Get().(*room)
	r.load, r.sum = cleared(r.load, nodes), cleared(r.sum, nodes)
	r.sent, r.b = cleared(r.sent, members), cleared(r.b, unknowns)
	return r
}

// cleared is a slice of n zeros in the memory of another where it has enough.
func cleared[T any](s []T, n int) []T {
	s = slices.Grow(s[:0], n)[:n]
	clear(s)
	return s
}

// solve finds the displacement of what is free.
func (s *Solver) solve(out *Solution, room *room) {
	if s.n == 0 {
		return
	}
	b, load := room.b, room.load
	for node := range s.at {
		for d, i := range s.at[node] {
			if i >= 0 {
				b[i] = load[node][d]
			}
		}
	}
	for _, i := range s.fixed { // what held and moved freedoms do
		nz := &s.k[i]
		for c := range 12 {
			u := out.Moved[nz.node[c]][c%6]
			if u == 0 {
				continue
			}
			for r := range 12 {
				if i := s.at[nz.node[r]][r%6]; i >= 0 {
					b[i] -= nz.k[r][c] * u
				}
			}
		}
	}
	for i := range s.n {
		b[i] *= s.scale[i]
	}
	s.substitute(b)
	for node := range s.at {
		for d, i := range s.at[node] {
			if i >= 0 {
				out.Moved[node][d] = b[i] * s.scale[i]
			}
		}
	}
}

// substitute solves UᵀU·x = b in place, row by row of the band: lapack64.Pbtrs does the same for many right
// sides, and takes four times as long for one.
func (s *Solver) substitute(b []float64) {
	for i, row := range s.chol {
		b[i] /= row[0]
		add(-b[i], row[1:], b[i+1:])
	}
	for i, row := range slices.Backward(s.chol) {
		n := len(row) - 1
		rest, below := blas64.Vector{N: n, Inc: 1, Data: row[1:]}, blas64.Vector{N: n, Inc: 1, Data: b[i+1:]}
		b[i] = (b[i] - blas64.Dot(rest, below)) / row[0]
	}
}

// react finds what the supports do: K·u − load where they hold, −k·(u − foot) where they spring.
func (s *Solver) react(out *Solution, room *room, foot [][6]float64) {
	sum, load := room.sum, room.load
	for _, i := range s.fixed {
		nz := &s.k[i]
		for r := range 12 {
			if s.held[nz.node[r]][r%6] == 0 {
				continue
			}
			for c := range 12 {
				sum[nz.node[r]][r%6] += nz.k[r][c] * out.Moved[nz.node[c]][c%6]
			}
		}
	}
	out.Reactions = make([][6]float64, len(s.model.Supports))
	for i, sup := range s.model.Supports {
		if sup.Node < 0 || sup.Node >= len(s.model.Nodes) {
			continue
		}
		for d := range 6 {
			switch {
			case s.held[sup.Node][d] == i+1:
				out.Reactions[i][d] = sum[sup.Node][d] - load[sup.Node][d]
			case !sup.Held[d] && sup.Spring[d] > 0:
				out.Reactions[i][d] = -sup.Spring[d] * (out.Moved[sup.Node][d] - foot[i][d])
			}
		}
	}
}

// moved are the displacements of an element's ends at its nodes' springs, own axes.
func (e *element) moved(all [][6]float64) (u [12]float64) {
	for end := range 2 {
		g := all[e.node(end*6)]
		turn := Vec{X: g[3], Y: g[4], Z: g[5]}
		shift := r3.Add(Vec{X: g[0], Y: g[1], Z: g[2]}, r3.Cross(turn, e.m.Ends[end].Arm))
		a, b := into(e.axes, shift), into(e.axes, turn)
		copy(u[end*6:], []float64{a.X, a.Y, a.Z, b.X, b.Y, b.Z})
	}
	return u
}

// pass takes what loads do to rigid ends to the nodes: over a loose end only as much as its spring
// carries, the rest to the other ends.
func (e *element) pass(f *[12]float64) (out [12]float64) {
	if len(e.loose) == 0 {
		return *f
	}
	n := len(e.loose)
	give := make([]float64, n) // A·f_R: how far loose ends give
	for i := range n {
		for j, r := range e.loose {
			give[i] += e.inner[i][j] * f[r]
		}
	}
	isLoose := [12]bool{}
	for _, r := range e.loose {
		isLoose[r] = true
	}
	for c := range 12 {
		if !isLoose[c] {
			out[c] = f[c]
			for i, r := range e.loose {
				out[c] -= e.kWhole[c][r] * give[i]
			}
		}
	}
	for i, r := range e.loose {
		out[r] = e.spring(r) * give[i]
	}
	return out
}

// shape adds what a force and a moment at a place along the member do to its rigid ends, by the shape
// functions of the bent beam: exact for point loads.
func (e *element) shape(f *[12]float64, s float64, p, m Vec) {
	l := e.l
	x := s / l
	n := [4]float64{1 - x*x*(3-2*x), s * (1 - x) * (1 - x), x * x * (3 - 2*x), s * x * (x - 1)}
	d := [4]float64{6 * x * (x - 1) / l, 1 - x*(4-3*x), 6 * x * (1 - x) / l, x * (3*x - 2)}
	f[0] += p.X * (1 - x)
	f[6] += p.X * x
	f[3] += m.X * (1 - x)
	f[9] += m.X * x
	f[1] += p.Y*n[0] + m.Z*d[0]
	f[5] += p.Y*n[1] + m.Z*d[1]
	f[7] += p.Y*n[2] + m.Z*d[2]
	f[11] += p.Y*n[3] + m.Z*d[3]
	f[2] += p.Z*n[0] - m.Y*d[0]
	f[4] += -p.Z*n[1] + m.Y*d[1]
	f[8] += p.Z*n[2] - m.Y*d[2]
	f[10] += -p.Z*n[3] + m.Y*d[3]
}

// gauss are places and weights on 0 to 1, exact for polynomials up to the fifth degree: the shape functions
// are of third degree, a line load of first.
var gauss = [3][2]float64{
	{0.5 - math.Sqrt(0.15), 5.0 / 18}, {0.5, 8.0 / 18}, {0.5 + math.Sqrt(0.15), 5.0 / 18},
}

// at is the load's strength at a place, N/m.
func (l *LineLoad) at(s float64) Vec {
	if l.B == l.A {
		return l.ForceA
	}
	return r3.Add(l.ForceA, r3.Scale((s-l.A)/(l.B-l.A), r3.Sub(l.Force, l.ForceA)))
}
