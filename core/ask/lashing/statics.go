package lashing

import (
	"errors"
	"math"

	"zygonos/core/sums/lp"
)

// ErrNotSolved is of a programme that found no answer: the load's hold is not known.
var ErrNotSolved = errors.New("the balance of forces found no answer")

// lossOver is what is left of a strap's pull on the far side of a load.
const lossOver = 0.5

// strapGrips is how far a strap over the top may lean along the load, as tan, before it
// slides along it instead of drawing tight (webbing on paint or plastic, C).
const strapGrips = 0.2

// bears is what end k of a tie may pull while its load is pushed toward push, kg: its limit
// where that lengthens it, what its tightener left where not, or where a strap over the top
// leans so far along the push that it slides along the load.
func (t *Tie) bears(k int, push Vector) float64 {
	a := t.Ends[k].Along
	if a.dot(push) > -1e-3 {
		return t.Pull
	}
	if t.Over && math.Abs(push[0]) > 0.5 && math.Abs(a[0]) > strapGrips*math.Hypot(a[1], a[2]) {
		return t.Pull
	}
	return t.Limit
}

// Held is how many g a load withstands in a direction, and what gives then.
type Held struct {
	G     float64
	Gives string // slips, tips, lifts, strap
	Tie   int    // of the strap that gives; −1 for none
}

// Hold is the most g toward push (of length one) that a load withstands with its weight on
// it, as a linear programme: ropes only pull, each up to its limit where the push lengthens
// it and else up to what its tightener left; what blocks a face presses level at its lower
// corners, up to what it bears; a strap over the top is one rope with at
// least lossOver of the one end's pull at the other; four corners press and rub within the
// pyramid |f_x| + |f_y| ≤ μ·N; all six balances hold; λ is the most. Upward what is lifted
// beyond its weight counts. Straps share as if they did not stretch: it is the optimistic
// end. All forces are stated as shares of the weight.
func Hold(l *Load, push Vector, mu float64) (Held, error) {
	h, edge, err := hold(l, push, mu)
	if err != nil || h.Gives != "slips" || !edge {
		return h, err
	}
	// It stands on an edge: it tips where a rougher floor would not hold it any further.
	if rough, _, err := hold(l, push, mu+0.2); err == nil && rough.G <= h.G+1e-6 {
		h.Gives = "tips"
	}
	return h, nil
}

// footing are the corners that a load stands on.
func (l *Load) footing() (corners [4]Vector) {
	for i, c := range l.Item.Footing() {
		corners[i] = c
	}
	return corners
}

// edge is where a load tips toward one of the level Directions: of the two corners that it stands
// on there the one that is nearer to its middle.
func (l *Load) edge(k int) Vector {
	corners, ahead := l.footing(), faces[k].corners
	a, b := corners[ahead[0]], corners[ahead[1]]
	if b.dot(Directions[k].Push) < a.dot(Directions[k].Push) {
		return b
	}
	return a
}

// hold is Hold without telling tipping from slipping; edge reports whether half of its
// corners or more are off the floor.
func hold(l *Load, push Vector, mu float64) (held Held, edge bool, err error) {
	if !(l.Mass > 0) {
		return Held{}, false, ErrNotSolved
	}
	corners := l.footing()
	type rope struct {
		end *End
		cap float64
		tie int
	}
	var ropes []rope
	var pairs [][2]int
	for i := range l.Ties {
		t := &l.Ties[i]
		first := len(ropes)
		for k := range t.Ends {
			ropes = append(ropes, rope{&t.Ends[k], t.bears(k, push) / l.Mass, i})
		}
		if t.Over {
			pairs = append(pairs, [2]int{first, first + 1})
		}
	}
	// Faces that are blocked, each at two corners of the footing.
	var blocks []int
	for k, takes := range l.Blocks {
		if takes > 0 {
			blocks = append(blocks, k)
		}
	}
	// Variables: λ; ropes and their slacks; for each corner N, four ways of rubbing and a
	// slack; for each strap over the top two slacks; for each blocked face two presses and a
	// slack.
	nr := len(ropes)
	vars := 1 + 2*nr + 4*6 + 2*len(pairs) + 3*len(blocks)
	rows := 6 + nr + 4 + 2*len(pairs) + len(blocks)
	a, cells := make([][]float64, rows), make([]float64, rows*vars)
	for r := range a {
		a[r] = cells[r*vars : (r+1)*vars]
	}
	b := make([]float64, rows)
	set := func(r, c int, v float64) { a[r][c] += v }
	// force adds a force of one kg of variable c at p to the six balances about the centre.
	force := func(c int, p, f Vector) {
		m := p.minus(l.Centre).cross(f)
		for k := range 3 {
			set(k, c, f[k])
			set(3+k, c, m[k])
		}
	}
	force(0, l.Centre, push)
	b[2] = 1 // the weight
	for i, q := range ropes {
		force(1+i, q.end.Hold, q.end.Along)
		set(6+i, 1+i, 1)
		set(6+i, 1+nr+i, 1)
		b[6+i] = q.cap
	}
	for k, p := range corners {
		c := 1 + 2*nr + 6*k
		force(c, p, Vector{0, 0, 1})
		for d, f := range []Vector{{1, 0, 0}, {-1, 0, 0}, {0, 1, 0}, {0, -1, 0}} {
			force(c+1+d, p, f)
			set(6+nr+k, c+1+d, 1)
		}
		set(6+nr+k, c+5, 1)
		set(6+nr+k, c, -mu)
	}
	for i, p := range pairs {
		c, r := 1+2*nr+24+2*i, 6+nr+4+2*i
		// loss·T_a ≤ T_b and loss·T_b ≤ T_a, with slacks.
		set(r, 1+p[0], lossOver)
		set(r, 1+p[1], -1)
		set(r, c, 1)
		set(r+1, 1+p[1], lossOver)
		set(r+1, 1+p[0], -1)
		set(r+1, c+1, 1)
	}
	firstBlock, blockRow := vars-3*len(blocks), rows-len(blocks)
	for i, k := range blocks {
		c, face := firstBlock+3*i, faces[k]
		for n, corner := range face.corners {
			force(c+n, corners[corner], face.press)
			set(blockRow+i, c+n, 1)
		}
		set(blockRow+i, c+2, 1)
		b[blockRow+i] = l.Blocks[k] / l.Mass
	}
	goal := make([]float64, vars)
	goal[0] = 1
	corner := func(k, d int) int { return 1 + 2*nr + 6*k + d }
	x, err := lp.Maximise(goal, a, b)
	if err != nil {
		return Held{}, false, ErrNotSolved
	}
	g := x[0]
	if push[2] > 0.5 {
		g--
	}
	if math.IsNaN(g) || math.IsInf(g, 0) {
		return Held{}, false, ErrNotSolved
	}
	h := Held{G: g, Gives: "slips", Tie: -1}
	normal, up := 0.0, 0
	for k := range corners {
		n := x[corner(k, 0)]
		if normal += n; n < 1e-6 {
			up++
		}
	}
	if normal < 1e-6 {
		h.Gives = "lifts"
	}
	for i, q := range ropes {
		if x[1+i] > l.Ties[q.tie].Limit/l.Mass-1e-6 && q.end.Along.dot(push) < -1e-3 {
			h.Gives, h.Tie = "strap", q.tie
			break
		}
	}
	return h, up >= 2, nil
}

// faces are a load's, in the order of Load.Blocks: the footing's corners there, and which
// way what stands against it presses.
var faces = [4]struct {
	corners [2]int
	press   Vector
}{{[2]int{0, 1}, Vector{1, 0, 0}}, {[2]int{2, 3}, Vector{-1, 0, 0}}, {[2]int{0, 2}, Vector{0, 1, 0}}, {[2]int{1, 3}, Vector{0, -1, 0}}}

// friction is what the programme takes: of directly lashed loads three quarters.
func (l *Load) friction() float64 {
	if l.anyDirect() {
		return l.Grip.Low * frictionOf
	}
	return l.Grip.Low
}
