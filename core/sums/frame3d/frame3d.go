// Package frame3d solves space frames by the direct stiffness method: straight members of constant
// section with 12 degrees of freedom, their ends rigid, semi-rigid or hinged, on rigid and springy
// supports. Shear deformation and warping are left out. Formulas: docs/method/frame3d.md.
//
// Units are SI: N, m, rad. Axes are right-handed. A member's own x runs from From to To; its own z is
// as near to the global z as can be (the global x for a member that stands upright), turned by Roll
// about its x; its own y makes the third. Iy bends it in its x-z plane.
package frame3d

import (
	"errors"
	"fmt"
	"math"

	"gonum.org/v1/gonum/spatial/r3"
)

// Vec is a place, a force or a moment.
type Vec = r3.Vec

// Dir is one of the six degrees of freedom of a node.
type Dir int

// The degrees of freedom: shifts along the axes and turns about them.
const (
	X Dir = iota
	Y
	Z
	RX
	RY
	RZ
)

func (d Dir) String() string {
	return [...]string{"along x", "along y", "along z", "about x", "about y", "about z"}[d]
}

// End says how a member's end is held by its node, in the member's own axes. The zero End is rigid.
type End struct {
	Loose [6]bool    // not rigid …
	Stiff [6]float64 // … but held by a spring of this rate, N/m or N·m/rad; zero: free
	// from the node to the member's own end where they are apart: a rigid arm, global axes
	Arm Vec
}

// Hinge is an end that carries no bending moment.
func Hinge() End { return End{Loose: [6]bool{RY: true, RZ: true}} }

// Member is a straight bar.
type Member struct {
	From, To         int // nodes
	Area, Iy, Iz, It float64
	E, G             float64
	Roll             float64
	Ends             [2]End
}

// Support holds a node.
type Support struct {
	Node   int
	Held   [6]bool    // rigidly
	Spring [6]float64 // or by springs, N/m or N·m/rad
}

// Model is a frame.
type Model struct {
	Nodes    []Vec
	Members  []Member
	Supports []Support
}

// Case is what acts at one time.
type Case struct {
	Nodes  []NodeLoad
	Points []PointLoad
	Lines  []LineLoad
	Moves  []Move
}

// NodeLoad acts on a node.
type NodeLoad struct {
	Node          int
	Force, Moment Vec // N, N·m, global axes
}

// PointLoad acts on a member, At m behind its own From end.
type PointLoad struct {
	Member        int
	At            float64
	Force, Moment Vec // N, N·m, global axes
}

// LineLoad acts on a member between two places, changing evenly.
type LineLoad struct {
	Member        int
	A, B          float64 // m behind its From end
	ForceA, Force Vec     // N/m at A and at B, global axes
}

// Move shifts a support: what holds it, or the foot of its spring.
type Move struct {
	Support int
	Dir     Dir
	By      float64 // m or rad
}

// Errors of a model that cannot be solved.
var (
	ErrEmpty   = errors.New("the frame has no members")
	ErrSupport = errors.New("nothing holds the frame")
)

// MemberError says what is wrong with a member.
type MemberError struct {
	Member int
	Says   string
}

func (e *MemberError) Error() string { return fmt.Sprintf("member %d: %s", e.Member, e.Says) }

// MechanismError says that the frame, or a part of it, moves freely, and what moves most.
type MechanismError struct {
	Node int
	Dir  Dir
}

func (e *MechanismError) Error() string {
	return fmt.Sprintf("node %d moves freely %s", e.Node, e.Dir)
}

// matrix is a member's, in its own axes.
type matrix [12][12]float64

// element is a member made ready.
type element struct {
	m      *Member
	l      float64
	axes   [3]Vec // its own x, y, z in global axes
	k      matrix // own axes, ends with their springs taken in
	arm    [2]Vec // own axes
	loose  []int
	inner  [][]float64 // inverse of K_RR + S of the loose ends
	kWhole *matrix     // before loose ends were taken in; nil: there are none
}

// Axes are a member's own x, y and z; nil where it has no length.
func Axes(m *Model, member int) []Vec {
	b := &m.Members[member]
	d := r3.Sub(r3.Add(m.Nodes[b.To], b.Ends[1].Arm), r3.Add(m.Nodes[b.From], b.Ends[0].Arm))
	if !(r3.Norm(d) > 0) {
		return nil
	}
	a := AxesOf(d, b.Roll)
	return a[:]
}

// AxesOf are the own axes of a member along d.
func AxesOf(d Vec, roll float64) [3]Vec {
	x := r3.Unit(d)
	up := Vec{Z: 1}
	if math.Abs(x.Z) > 1-1e-9 {
		up = Vec{X: 1}
	}
	z := r3.Unit(r3.Sub(up, r3.Scale(r3.Dot(up, x), x)))
	y := r3.Cross(z, x)
	s, c := math.Sincos(roll)
	return [3]Vec{x, r3.Add(r3.Scale(c, y), r3.Scale(s, z)), r3.Add(r3.Scale(-s, y), r3.Scale(c, z))}
}

// into turns a global vector into own axes, out back.
func into(a [3]Vec, v Vec) Vec {
	return Vec{X: r3.Dot(a[0], v), Y: r3.Dot(a[1], v), Z: r3.Dot(a[2], v)}
}
func outOf(a [3]Vec, v Vec) Vec {
	return r3.Add(r3.Scale(v.X, a[0]), r3.Add(r3.Scale(v.Y, a[1]), r3.Scale(v.Z, a[2])))
}

// stiffness is that of a member whose ends are rigid.
func stiffness(m *Member, l float64) (k matrix) {
	put := func(i, j int, v float64) { k[i][j], k[j][i] = v, v }
	for _, p := range []struct {
		at int
		v  float64
	}{{0, m.E * m.Area / l}, {3, m.G * m.It / l}} {
		put(p.at, p.at, p.v)
		put(p.at+6, p.at+6, p.v)
		put(p.at, p.at+6, -p.v)
	}
	// in the x-y plane v and θz, in the x-z plane w and −θy
	bend := func(i, r int, ei, sign float64) {
		a, b, c, d := 12*ei/(l*l*l), sign*6*ei/(l*l), 4*ei/l, 2*ei/l
		put(i, i, a)
		put(i+6, i+6, a)
		put(i, i+6, -a)
		put(i, r, b)
		put(i, r+6, b)
		put(i+6, r, -b)
		put(i+6, r+6, -b)
		put(r, r, c)
		put(r+6, r+6, c)
		put(r, r+6, d)
	}
	bend(1, 5, m.E*m.Iz, 1)
	bend(2, 4, m.E*m.Iy, -1)
	return k
}

// ready makes an element of a member.
func (e *element) ready(model *Model, i int) error {
	m := &model.Members[i]
	bad := func(says string) error { return &MemberError{i, says} }
	if m.From < 0 || m.To < 0 || m.From >= len(model.Nodes) || m.To >= len(model.Nodes) {
		return bad("it ends at no node")
	}
	for _, v := range []float64{m.Area, m.Iy, m.Iz, m.It, m.E, m.G} {
		if !(v > 0) || math.IsInf(v, 0) {
			return bad("its section or material is not known")
		}
	}
	from := r3.Add(model.Nodes[m.From], m.Ends[0].Arm)
	to := r3.Add(model.Nodes[m.To], m.Ends[1].Arm)
	d := r3.Sub(to, from)
	l := r3.Norm(d)
	if !(l > 1e-6) || math.IsInf(l, 0) {
		return bad("it has no length")
	}
	e.m, e.l, e.axes, e.k = m, l, AxesOf(d, m.Roll), stiffness(m, l)
	e.arm = [2]Vec{into(e.axes, m.Ends[0].Arm), into(e.axes, m.Ends[1].Arm)}
	if err := e.condense(); err != nil {
		return bad("its ends leave it free to slide or to turn")
	}
	return nil
}

// condense takes springs at the ends in. The member's own end moves by u, its node by d; over a loose
// one they differ, held by S:
//
//	u_R = (K_RR + S)⁻¹·(S·d_R − K_RN·d_N + f_R)
//	K* = [K_NN − K_NR·A·K_RN, K_NR·A·S; S·A·K_RN, S − S·A·S],  A = (K_RR + S)⁻¹
func (e *element) condense() error {
	for end := range 2 {
		for d := range 6 {
			if e.m.Ends[end].Loose[d] {
				e.loose = append(e.loose, end*6+d)
			}
		}
	}
	n := len(e.loose)
	if n == 0 {
		return nil
	}
	whole := e.k
	e.kWhole = &whole
	var back matrix // displacement of the member's own ends from that of its nodes, own axes
	a := make([][]float64, n)
	for i, r := range e.loose {
		a[i] = make([]float64, n)
		for j, c := range e.loose {
			a[i][j] = e.kWhole[r][c]
		}
		a[i][i] += e.spring(r)
	}
	inv, ok := inverse(a)
	if !ok {
		return errors.New("singular")
	}
	e.inner = inv
	isLoose := [12]bool{}
	for _, r := range e.loose {
		isLoose[r] = true
	}
	// b = A·[K_RN, −S]: how loose ends follow the nodes, u_R = −b·d
	for i := range n {
		for c := range 12 {
			v := 0.0
			for j, r := range e.loose {
				switch {
				case !isLoose[c]:
					v += inv[i][j] * e.kWhole[r][c]
				case c == r:
					v -= inv[i][j] * e.spring(r)
				}
			}
			back[e.loose[i]][c] = -v
		}
	}
	for c := range 12 {
		if !isLoose[c] {
			back[c][c] = 1
		}
	}
	// K* = backᵀ·K·back + (I − back)ᵀ·S·(I − back), both parts of the strain energy
	var kb matrix
	for r := range 12 {
		for c := range 12 {
			for x := range 12 {
				kb[r][c] += e.kWhole[r][x] * back[x][c]
			}
		}
	}
	for r := range 12 {
		for c := range 12 {
			v := 0.0
			for x := range 12 {
				v += back[x][r] * kb[x][c]
			}
			for _, x := range e.loose {
				v += (unit(x, r) - back[x][r]) * e.spring(x) * (unit(x, c) - back[x][c])
			}
			e.k[r][c] = v
		}
	}
	return nil
}

func unit(i, j int) float64 {
	if i == j {
		return 1
	}
	return 0
}

func (e *element) spring(i int) float64 { return max(0, e.m.Ends[i/6].Stiff[i%6]) }

// inverse of a small symmetric matrix by elimination with pivots; false where it has none.
func inverse(a [][]float64) ([][]float64, bool) {
	n := len(a)
	w := make([][]float64, n)
	most := 0.0
	for i := range n {
		w[i] = make([]float64, 2*n)
		copy(w[i], a[i])
		w[i][n+i] = 1
		most = max(most, math.Abs(a[i][i]))
	}
	for c := range n {
		p := c
		for r := c + 1; r < n; r++ {
			if math.Abs(w[r][c]) > math.Abs(w[p][c]) {
				p = r
			}
		}
		if math.Abs(w[p][c]) <= 1e-12*most {
			return nil, false
		}
		w[c], w[p] = w[p], w[c]
		for r := range n {
			if r == c {
				continue
			}
			f := w[r][c] / w[c][c]
			for x := c; x < 2*n; x++ {
				w[r][x] -= f * w[c][x]
			}
		}
	}
	out := make([][]float64, n)
	for i := range n {
		out[i] = make([]float64, n)
		for j := range n {
			out[i][j] = w[i][n+j] / w[i][i]
		}
	}
	return out, true
}

// turned is the element's stiffness at its nodes, global axes: rigid arms and own axes taken in, end by end.
func (e *element) turned() (k matrix) {
	t := e.transform()
	var kt matrix
	for r := range 12 {
		for _, x := range partners[r] {
			from, v := x/6*6, e.k[r][x]
			for c := from; c < from+6; c++ {
				kt[r][c] += v * t[x][c]
			}
		}
	}
	for r := range 12 {
		from := r / 6 * 6
		for c := range r + 1 {
			for x := from; x < from+6; x++ {
				k[r][c] += t[x][r] * kt[x][c]
			}
			k[c][r] = k[r][c]
		}
	}
	return k
}

// transform gives the own displacement of an element's ends from the global one of its nodes: a
// rigid arm a shifts its end by θ × a.
func (e *element) transform() (t matrix) {
	for end := range 2 {
		at := end * 6
		for i, axis := range e.axes {
			g := [3]float64{axis.X, axis.Y, axis.Z}
			// axis · (θ × arm) = θ · (arm × axis)
			arm := r3.Cross(e.m.Ends[end].Arm, axis)
			turn := [3]float64{arm.X, arm.Y, arm.Z}
			for j := range 3 {
				t[at+i][at+j] = g[j]
				t[at+i][at+3+j] = turn[j]
				t[at+3+i][at+3+j] = g[j]
			}
		}
	}
	return t
}
