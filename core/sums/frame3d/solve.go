package frame3d

import (
	"math"
	"slices"

	"gonum.org/v1/gonum/blas/blas64"
	"gonum.org/v1/gonum/lapack/lapack64"
	"gonum.org/v1/gonum/mat"
	"gonum.org/v1/gonum/spatial/r3"
)

// Solver is a frame whose stiffness is factorised: each further case costs little.
type Solver struct {
	model *Model
	els   []*element
	order []int     // of the nodes, so that the band is narrow
	at    [][6]int  // unknown of a node's freedom; −1: held or carried by nothing
	scale []float64 // 1/√ of the diagonal
	held  [][6]int  // support that holds a node's freedom rigidly, +1; 0: none
	k     []nonzero // rows of the held freedoms against all, for reactions and moves
	chol  blas64.TriangularBand
	n     int
}

// nonzero is an element's stiffness with its freedoms, for what is held.
type nonzero struct {
	k    matrix
	node [12]int
}

// free is the pivot of the scaled stiffness, whose diagonal is of ones, under which something moves freely.
const free = 1e-11

// New makes the stiffness of a frame ready. Errors: ErrEmpty, ErrSupport, *MemberError,
// *MechanismError.
func New(model *Model) (*Solver, error) {
	if len(model.Members) == 0 {
		return nil, ErrEmpty
	}
	s := &Solver{model: model}
	for i := range model.Members {
		e, err := ready(model, i)
		if err != nil {
			return nil, err
		}
		s.els = append(s.els, e)
		nz := nonzero{k: e.turned()}
		for r := range 12 {
			nz.node[r] = e.node(r)
		}
		s.k = append(s.k, nz)
	}
	s.order = ordered(model)
	return s, s.support()
}

// On is the same frame on other supports; its members are not made ready anew.
func (s *Solver) On(supports []Support) (*Solver, error) {
	model := *s.model
	model.Supports = supports
	out := &Solver{model: &model, els: s.els, order: s.order, k: s.k}
	return out, out.support()
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
		for r := range 12 {
			for c := range 12 {
				i, j := s.at[nz.node[r]][r%6], s.at[nz.node[c]][c%6]
				if i >= 0 && j >= 0 {
					band = max(band, j-i)
				}
			}
		}
	}
	fill := func(shift float64) *mat.SymBandDense {
		k := mat.NewSymBandDense(s.n, band, nil)
		raw := k.RawSymBand()
		add := func(i, j int, v float64) {
			if i >= 0 && j >= i {
				raw.Data[i*raw.Stride+j-i] += v * s.scale[i] * s.scale[j]
			}
		}
		for i := range s.k {
			nz := &s.k[i]
			var at [12]int
			for r := range 12 {
				at[r] = s.at[nz.node[r]][r%6]
			}
			for r := range 12 {
				for c := range 12 {
					if v := nz.k[r][c]; v != 0 {
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
	// mat.BandCholesky estimates a condition each time, which takes longer than the rest: the pivots tell
	// as well whether something moves
	var ok bool
	if s.chol, ok = lapack64.Pbtrf(fill(0).RawSymBand()); ok {
		for i := range s.n {
			if u := s.chol.Data[i*s.chol.Stride]; u*u < free {
				ok = false
			}
		}
	}
	if ok {
		return nil
	}
	return s.moves(fill(1e-9))
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
	c *Case
	// loads of each member, indexes into the case's
	points, lines [][]int
}

// Solve answers one case.
func (s *Solver) Solve(c *Case) *Solution {
	nodes := len(s.model.Nodes)
	load := make([][6]float64, nodes)
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
	sent := make([][12]float64, len(s.els)) // what the loads along a member do to its rigid ends …
	out := &Solution{Moved: make([][6]float64, nodes), s: s, c: c}
	out.points = gathered(len(s.els), len(c.Points), func(i int) int { return c.Points[i].Member })
	out.lines = gathered(len(s.els), len(c.Lines), func(i int) int { return c.Lines[i].Member })
	for i := range c.Points {
		if p := &c.Points[i]; p.Member >= 0 && p.Member < len(s.els) {
			s.els[p.Member].point(&sent[p.Member], p.At, p.Force, p.Moment)
		}
	}
	for i := range c.Lines {
		if l := &c.Lines[i]; l.Member >= 0 && l.Member < len(s.els) {
			s.els[l.Member].line(&sent[l.Member], l)
		}
	}
	for i, e := range s.els { // … and what they pass on to the nodes
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
	s.solve(out, load)
	s.react(out, load, foot)
	out.Ends = make([][12]float64, len(s.els))
	for i, e := range s.els {
		u := e.moved(out.Moved)
		for r := range 12 {
			f := -sent[i][r]
			for x := range 12 {
				f += e.k[r][x] * u[x]
			}
			out.Ends[i][r] = f
		}
	}
	return out
}

// gathered are the indexes of n loads by the member that each acts on, all in one piece of memory.
func gathered(members, n int, of func(int) int) [][]int {
	out := make([][]int, members)
	if n == 0 {
		return out
	}
	count := make([]int, members)
	for i := range n {
		if m := of(i); m >= 0 && m < members {
			count[m]++
		}
	}
	all := make([]int, n)
	at := 0
	for m, c := range count {
		out[m] = all[at : at : at+c]
		at += c
	}
	for i := range n {
		if m := of(i); m >= 0 && m < members {
			out[m] = append(out[m], i)
		}
	}
	return out
}

// solve finds the displacement of what is free.
func (s *Solver) solve(out *Solution, load [][6]float64) {
	if s.n == 0 {
		return
	}
	b := make([]float64, s.n)
	for node := range s.at {
		for d, i := range s.at[node] {
			if i >= 0 {
				b[i] = load[node][d]
			}
		}
	}
	for i := range s.k { // what held and moved freedoms do
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
	lapack64.Pbtrs(s.chol, blas64.General{Rows: s.n, Cols: 1, Data: b, Stride: 1})
	for node := range s.at {
		for d, i := range s.at[node] {
			if i >= 0 {
				out.Moved[node][d] = b[i] * s.scale[i]
			}
		}
	}
}

// react finds what the supports do: K·u − load where they hold, −k·(u − foot) where they spring.
func (s *Solver) react(out *Solution, load, foot [][6]float64) {
	sum := make([][6]float64, len(s.model.Nodes))
	for i := range s.k {
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

// point adds what a force and a moment at a place along the member do to its rigid ends, by the shape
// functions of the bent beam: exact for point loads.
func (e *element) point(f *[12]float64, at float64, force, moment Vec) {
	e.shape(f, math.Max(0, math.Min(e.l, at)), into(e.axes, force), into(e.axes, moment))
}

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

// gauss are places and weights on 0 to 1, exact for polynomials up to the fifth degree.
var gauss = [3][2]float64{
	{0.5 - math.Sqrt(0.15), 5.0 / 18}, {0.5, 8.0 / 18}, {0.5 + math.Sqrt(0.15), 5.0 / 18},
}

// line adds an evenly changing load: the shape functions are of third degree, the load of first.
func (e *element) line(f *[12]float64, l *LineLoad) {
	a, b := math.Max(0, l.A), math.Min(e.l, l.B)
	if !(b > a) {
		return
	}
	for _, g := range gauss {
		s := a + g[0]*(b-a)
		e.shape(f, s, r3.Scale(g[1]*(b-a), into(e.axes, l.at(s))), Vec{})
	}
}

// at is the load's strength at a place, N/m.
func (l *LineLoad) at(s float64) Vec {
	if l.B == l.A {
		return l.ForceA
	}
	return r3.Add(l.ForceA, r3.Scale((s-l.A)/(l.B-l.A), r3.Sub(l.Force, l.ForceA)))
}
