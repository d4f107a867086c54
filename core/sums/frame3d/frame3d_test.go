package frame3d_test

import (
	"errors"
	"math"
	"math/rand/v2"
	"testing"

	"gonum.org/v1/gonum/spatial/r3"

	"zygonos/core/sums/frame3d"
)

type vec = frame3d.Vec

func near(t *testing.T, what string, got, want, within float64) {
	t.Helper()
	if !(math.Abs(got-want) <= within*math.Max(1e-12, math.Abs(want))) {
		t.Errorf("%s: got %.10g, want %.10g", what, got, want)
	}
}

// bar has E 210 GPa, G 80 GPa and a section stiffer upright: EIy 105 000, EIz 42 000, GIt 64 000 N·m².
func bar(from, to int) frame3d.Member {
	return frame3d.Member{From: from, To: to, Area: 1e-3, Iy: 50e-8, Iz: 20e-8, It: 80e-8, E: 210e9, G: 80e9}
}

var clamped = [6]bool{true, true, true, true, true, true}

func solve(t *testing.T, m *frame3d.Model, c *frame3d.Case) *frame3d.Solution {
	t.Helper()
	s, err := frame3d.New(m)
	if err != nil {
		t.Fatal(err)
	}
	return s.Solve(c)
}

// A cantilever 2 m long under 1 kN and 100 N·m at its tip: P·L³/3EI, P·L²/2EI, T·L/GIt, N·L/EA.
func TestCantilever(t *testing.T) {
	m := &frame3d.Model{
		Nodes: []vec{{}, {X: 2}}, Members: []frame3d.Member{bar(0, 1)},
		Supports: []frame3d.Support{{Node: 0, Held: clamped}},
	}
	o := solve(t, m, &frame3d.Case{Nodes: []frame3d.NodeLoad{{Node: 1, Force: vec{X: 5000, Y: 1000, Z: -1000}, Moment: vec{X: 100}}}})
	tip := o.Moved[1]
	near(t, "stretch", tip[0], 5000*2/(210e9*1e-3), 1e-9)
	near(t, "aside", tip[1], 8000.0/(3*42000), 1e-9)
	near(t, "down", tip[2], -8000.0/(3*105000), 1e-9)
	near(t, "twist", tip[3], 100*2/64000.0, 1e-9)
	near(t, "slope", tip[4], 4000.0/(2*105000), 1e-9)
	near(t, "holds", o.Reactions[0][2], 1000, 1e-9)
	near(t, "clamp", o.Reactions[0][4], -2000, 1e-9)
	in := o.At(0, 0.5, false)
	near(t, "tension", in.N, 5000, 1e-9)
	near(t, "torque", in.T, 100, 1e-9)
	near(t, "moment", math.Abs(in.My), 1500, 1e-9)
	near(t, "aside moment", math.Abs(in.Mz), 1500, 1e-9)
	// turned a quarter about itself, it is as stiff the other way
	m.Members[0].Roll = math.Pi / 2
	o = solve(t, m, &frame3d.Case{Nodes: []frame3d.NodeLoad{{Node: 1, Force: vec{Z: -1000}}}})
	near(t, "rolled", o.Moved[1][2], -8000.0/(3*42000), 1e-9)
	// its foot lifted by 10 mm lifts all of it
	o = solve(t, m, &frame3d.Case{Moves: []frame3d.Move{{Support: 0, Dir: frame3d.Z, By: 0.01}}})
	near(t, "lifted", o.Moved[1][2], 0.01, 1e-9)
}

// A beam 3 m long, clamped at both ends, 2 kN/m over all of it: w·L²/12 at the ends, w·L²/24 and w·L⁴/384EI
// in the middle; hinged: w·L²/8, 5w·L⁴/384EI; with springs k at its ends w·L²/12/(1 + 2EI/kL).
func TestBeam(t *testing.T) {
	for _, c := range []struct {
		name      string
		end       frame3d.End
		endM, mid float64
	}{
		{"clamped", frame3d.End{}, 1500, 750},
		{"hinged", frame3d.Hinge(), 0, 2250},
		{"springs", frame3d.End{Loose: [6]bool{frame3d.RY: true}, Stiff: [6]float64{frame3d.RY: 70000}}, 750, 1500},
	} {
		b := bar(0, 1)
		b.Ends = [2]frame3d.End{c.end, c.end}
		m := &frame3d.Model{
			Nodes: []vec{{}, {X: 3}}, Members: []frame3d.Member{b},
			Supports: []frame3d.Support{{Node: 0, Held: clamped}, {Node: 1, Held: clamped}},
		}
		o := solve(t, m, &frame3d.Case{Lines: []frame3d.LineLoad{{Member: 0, A: 0, B: 3, ForceA: vec{Z: -2000}, Force: vec{Z: -2000}}}})
		near(t, c.name+" end", math.Abs(o.At(0, 0, false).My), c.endM, 1e-9)
		near(t, c.name+" middle", math.Abs(o.At(0, 1.5, false).My), c.mid, 1e-9)
		near(t, c.name+" reaction", o.Reactions[0][2], 3000, 1e-9)
		_, sag := o.Sag(0)
		// of a beam with end moments M: 5wL⁴/384EI − M·L²/8EI
		near(t, c.name+" sag", sag, -(5*2000*81/(384*105000.0) - c.endM*9/(8*105000.0)), 2e-4)
	}
}

// A load between the nodes does what the same load on a node there does; so does a moment.
func TestPointsAndNodes(t *testing.T) {
	whole := &frame3d.Model{Nodes: []vec{{}, {X: 3, Z: 0.4}}, Members: []frame3d.Member{bar(0, 1)}, Supports: []frame3d.Support{
		{Node: 0, Held: clamped}, {Node: 1, Held: [6]bool{false, true, true, true, false, false}}}}
	parts := &frame3d.Model{Nodes: []vec{{}, {X: 3, Z: 0.4}, {X: 1.2, Z: 0.16}}, Members: []frame3d.Member{bar(0, 2), bar(2, 1)},
		Supports: whole.Supports}
	f, mo := vec{X: 300, Y: -500, Z: -900}, vec{X: 40, Y: 70, Z: -30}
	l := math.Hypot(1.2, 0.16)
	a := solve(t, whole, &frame3d.Case{Points: []frame3d.PointLoad{{Member: 0, At: l, Force: f, Moment: mo}}})
	b := solve(t, parts, &frame3d.Case{Nodes: []frame3d.NodeLoad{{Node: 2, Force: f, Moment: mo}}})
	for d := range 6 {
		near(t, "reaction", a.Reactions[0][d], b.Reactions[0][d], 1e-8)
	}
	in, at := a.At(0, l, false), b.At(0, l, false)
	near(t, "inside", in.My, at.My, 1e-8)
	near(t, "behind", a.At(0, l, true).Mz, b.At(1, 0, true).Mz, 1e-8)
}

// A portal 3 m high and 4 m wide with clamped feet under 10 kN at its head: with k = (I_b/L)·(h/I_c) = 0.75
// the feet bear H·h/2·(3k + 1)/(6k + 1) = 8.8636 kN·m (Kleinlogel). Areas are large, since it leaves
// stretching out.
func TestPortal(t *testing.T) {
	p := func(from, to int) frame3d.Member {
		b := bar(from, to)
		b.Iz, b.Area = b.Iy, 1e3
		return b
	}
	m := &frame3d.Model{
		Nodes: []vec{{}, {Z: 3}, {X: 4, Z: 3}, {X: 4}}, Members: []frame3d.Member{p(0, 1), p(1, 2), p(2, 3)},
		Supports: []frame3d.Support{{Node: 0, Held: clamped}, {Node: 3, Held: clamped}},
	}
	o := solve(t, m, &frame3d.Case{Nodes: []frame3d.NodeLoad{{Node: 1, Force: vec{X: 10000}}}})
	near(t, "foot", math.Abs(o.Reactions[0][4]), 15000*3.25/5.5, 1e-6)
	near(t, "other foot", math.Abs(o.Reactions[1][4]), 15000*3.25/5.5, 1e-6)
	near(t, "shear", o.Reactions[0][0], -5000, 1e-6)
}

// Two rails 2 m long clamped at one end, 1.2 m apart, joined at their tips by a cross bar (I 20, It 30 cm⁴);
// 1 kN on one tip. Solved apart from its three unknowns (docs/method/frame3d.md): the loaded tip goes down
// 16.3909 mm, the other 9.0059 mm.
func TestGrid(t *testing.T) {
	cross := bar(1, 3)
	cross.Iy, cross.It = 20e-8, 30e-8
	m := &frame3d.Model{
		Nodes: []vec{{}, {X: 2}, {Y: 1.2}, {X: 2, Y: 1.2}}, Members: []frame3d.Member{bar(0, 1), bar(2, 3), cross},
		Supports: []frame3d.Support{{Node: 0, Held: clamped}, {Node: 2, Held: clamped}},
	}
	o := solve(t, m, &frame3d.Case{Nodes: []frame3d.NodeLoad{{Node: 1, Force: vec{Z: -1000}}}})
	near(t, "loaded", o.Moved[1][2], -0.01639090255, 1e-6)
	near(t, "other", o.Moved[3][2], -0.009005922846, 1e-5)
}

// Three hinged bars of 5 m from (±3, 4) and (0, 5) to the origin under 10 kN: its one displacement is
// u = P/Σ(EA·cos²/L), so that the middle bar bears P/(1 + 2·0.8²).
func TestTruss(t *testing.T) {
	h := func(from int) frame3d.Member {
		b := bar(from, 3)
		b.Ends = [2]frame3d.End{frame3d.Hinge(), frame3d.Hinge()}
		return b
	}
	held := [6]bool{true, true, true, true, true, true}
	m := &frame3d.Model{
		Nodes: []vec{{X: -3, Z: 4}, {X: 3, Z: 4}, {Z: 5}, {}}, Members: []frame3d.Member{h(0), h(1), h(2)},
		Supports: []frame3d.Support{{Node: 0, Held: held}, {Node: 1, Held: held}, {Node: 2, Held: held},
			{Node: 3, Held: [6]bool{1: true}}},
	}
	o := solve(t, m, &frame3d.Case{Nodes: []frame3d.NodeLoad{{Node: 3, Force: vec{Z: -10000}}}})
	// all 5 m: u = P·L/EA/(1 + 2·0.8²), side bars 0.8·u·EA/L
	near(t, "middle", o.At(2, 1, false).N, 10000/(1+2*0.64), 1e-9)
	near(t, "side", o.At(0, 1, false).N, 8000/(1+2*0.64), 1e-9)
}

// A stair of random members, for the properties.
func random(r *rand.Rand) (*frame3d.Model, *frame3d.Case) {
	m := &frame3d.Model{}
	n := 4 + r.IntN(6)
	for i := range n {
		m.Nodes = append(m.Nodes, vec{X: float64(i) * 0.7, Y: r.Float64() * 2, Z: r.Float64()})
	}
	join := func(a, b int) {
		x := bar(a, b)
		x.Roll = r.Float64()
		if r.IntN(4) == 0 {
			x.Ends[0] = frame3d.End{Loose: [6]bool{frame3d.RY: true}, Stiff: [6]float64{frame3d.RY: 2e4}}
		}
		if r.IntN(4) == 0 {
			x.Ends[1].Arm = vec{X: 0.02, Y: r.Float64() * 0.1, Z: 0.05}
		}
		m.Members = append(m.Members, x)
	}
	for i := 1; i < n; i++ {
		join(i-1, i)
	}
	for range 3 {
		if a, b := r.IntN(n), r.IntN(n); a != b {
			join(a, b)
		}
	}
	m.Supports = []frame3d.Support{{Node: 0, Held: clamped}, {Node: n - 1, Spring: [6]float64{1e6, 0, 2e6, 0, 3e3, 0}}}
	v := func() vec { return vec{X: r.NormFloat64() * 500, Y: r.NormFloat64() * 500, Z: r.NormFloat64() * 500} }
	c := &frame3d.Case{
		Nodes:  []frame3d.NodeLoad{{Node: r.IntN(n), Force: v(), Moment: v()}},
		Points: []frame3d.PointLoad{{Member: r.IntN(len(m.Members)), At: 0.3, Force: v(), Moment: v()}},
		Lines:  []frame3d.LineLoad{{Member: r.IntN(len(m.Members)), A: 0.1, B: 0.5, ForceA: v(), Force: v()}},
	}
	return m, c
}

// Reactions and loads close in force and in moment, to 1e-9 of what acts.
func TestEquilibrium(t *testing.T) {
	r := rand.New(rand.NewPCG(3, 1))
	for range 300 {
		m, c := random(r)
		o := solve(t, m, c)
		var force, moment vec
		size := 0.0
		act := func(at, f, mo vec) {
			force = r3.Add(force, f)
			moment = r3.Add(moment, r3.Add(mo, r3.Cross(at, f)))
			size += r3.Norm(f) + r3.Norm(mo)
		}
		on := func(member int, at float64) vec {
			b := m.Members[member]
			from, to := r3.Add(m.Nodes[b.From], b.Ends[0].Arm), r3.Add(m.Nodes[b.To], b.Ends[1].Arm)
			d := r3.Sub(to, from)
			return r3.Add(from, r3.Scale(math.Min(1, at/r3.Norm(d)), d))
		}
		act(m.Nodes[c.Nodes[0].Node], c.Nodes[0].Force, c.Nodes[0].Moment)
		act(on(c.Points[0].Member, c.Points[0].At), c.Points[0].Force, c.Points[0].Moment)
		l := c.Lines[0]
		for i := range 200 { // the line by the midpoints of many pieces
			s := l.A + (float64(i)+0.5)/200*(l.B-l.A)
			if s > o.Length(l.Member) {
				continue
			}
			q := r3.Add(l.ForceA, r3.Scale((s-l.A)/(l.B-l.A), r3.Sub(l.Force, l.ForceA)))
			act(on(l.Member, s), r3.Scale((l.B-l.A)/200, q), vec{})
		}
		for i, sup := range m.Supports {
			f := o.Reactions[i]
			act(m.Nodes[sup.Node], vec{X: f[0], Y: f[1], Z: f[2]}, vec{X: f[3], Y: f[4], Z: f[5]})
		}
		if o.Length(l.Member) >= 0.5 && (r3.Norm(force) > 1e-5*size || r3.Norm(moment) > 1e-4*size) {
			t.Fatalf("open by %v, %v of %v", force, moment, size)
		}
	}
}

// The whole turned about any axis answers turned and nothing else.
func TestTurned(t *testing.T) {
	r := rand.New(rand.NewPCG(5, 9))
	for range 50 {
		m, c := random(r)
		m.Supports = m.Supports[:1] // springs along global axes would not turn
		a := solve(t, m, c)
		turn := r3.NewRotation(r.Float64()*6, vec{X: r.NormFloat64(), Y: r.NormFloat64(), Z: 1})
		n := &frame3d.Model{Supports: m.Supports}
		for _, p := range m.Nodes {
			n.Nodes = append(n.Nodes, turn.Rotate(p))
		}
		for i, b := range m.Members {
			b.Ends[0].Arm, b.Ends[1].Arm = turn.Rotate(b.Ends[0].Arm), turn.Rotate(b.Ends[1].Arm)
			b.Roll = 0
			// the roll that keeps its own z where the turned one is
			from, to := r3.Add(n.Nodes[b.From], b.Ends[0].Arm), r3.Add(n.Nodes[b.To], b.Ends[1].Arm)
			want := turn.Rotate(frame3d.Axes(m, i)[2])
			plain := frame3d.AxesOf(r3.Sub(to, from), 0)
			b.Roll = math.Atan2(-r3.Dot(want, plain[1]), r3.Dot(want, plain[2]))
			n.Members = append(n.Members, b)
		}
		d := &frame3d.Case{}
		for _, l := range c.Nodes {
			d.Nodes = append(d.Nodes, frame3d.NodeLoad{Node: l.Node, Force: turn.Rotate(l.Force), Moment: turn.Rotate(l.Moment)})
		}
		for _, l := range c.Points {
			l.Force, l.Moment = turn.Rotate(l.Force), turn.Rotate(l.Moment)
			d.Points = append(d.Points, l)
		}
		for _, l := range c.Lines {
			l.ForceA, l.Force = turn.Rotate(l.ForceA), turn.Rotate(l.Force)
			d.Lines = append(d.Lines, l)
		}
		b := solve(t, n, d)
		for i := range m.Members {
			for e := range 12 {
				if math.Abs(a.Ends[i][e]-b.Ends[i][e]) > 1e-6*(1+math.Abs(a.Ends[i][e])) {
					t.Fatalf("member %d: %v turned is %v", i, a.Ends[i], b.Ends[i])
				}
			}
		}
	}
}

// What a load at one place moves at another is what it would move the other way about (Betti).
func TestBetti(t *testing.T) {
	r := rand.New(rand.NewPCG(8, 8))
	for range 100 {
		m, _ := random(r)
		s, err := frame3d.New(m)
		if err != nil {
			t.Fatal(err)
		}
		i, j := 1+r.IntN(len(m.Nodes)-1), 1+r.IntN(len(m.Nodes)-1)
		a := s.Solve(&frame3d.Case{Nodes: []frame3d.NodeLoad{{Node: i, Force: vec{Z: 1000}}}})
		b := s.Solve(&frame3d.Case{Nodes: []frame3d.NodeLoad{{Node: j, Moment: vec{X: 1000}}}})
		near(t, "Betti", a.Moved[j][3], b.Moved[i][2], 1e-6)
	}
}

// Frames with members from soft to stiff that stand on a ball joint and one wheel can roll about the line between
// the two; with a second wheel beside it they stand. Rounding of soft members' pivots must hide neither.
func TestRollsOver(t *testing.T) {
	for seed := range uint64(300) {
		r := rand.New(rand.NewPCG(seed, 9))
		m, _ := random(r)
		last := len(m.Nodes) - 1
		for i := range m.Members {
			x := &m.Members[i]
			soft := math.Pow(10, -3*r.Float64())
			x.Iy, x.Iz, x.It = x.Iy*soft, x.Iz*soft, x.It*soft
			x.Ends[0].Loose = [6]bool{}
		}
		m.Nodes = append(m.Nodes, r3.Add(m.Nodes[last], vec{Y: -1}), r3.Add(m.Nodes[last], vec{Y: 1}))
		m.Members = append(m.Members, bar(last, last+1), bar(last, last+2))
		ball := frame3d.Support{Node: 0, Held: [6]bool{true, true, true}}
		left := frame3d.Support{Node: last + 1, Held: [6]bool{frame3d.Z: true}, Spring: [6]float64{frame3d.Y: 2e5}}
		right := left
		right.Node = last + 2
		m.Supports = []frame3d.Support{ball, left}
		var free *frame3d.MechanismError
		s, err := frame3d.New(m)
		if !errors.As(err, &free) {
			t.Errorf("%d: on one wheel it stands: %v", seed, err)
		}
		if _, err := s.On([]frame3d.Support{ball, left, right}); err != nil {
			t.Errorf("%d: on both wheels: %v", seed, err)
		}
	}
}

// What cannot be solved is named.
func TestBad(t *testing.T) {
	two := func() *frame3d.Model {
		return &frame3d.Model{Nodes: []vec{{}, {X: 1}, {X: 2}}, Members: []frame3d.Member{bar(0, 1), bar(1, 2)},
			Supports: []frame3d.Support{{Node: 0, Held: clamped}}}
	}
	if _, err := frame3d.New(&frame3d.Model{}); !errors.Is(err, frame3d.ErrEmpty) {
		t.Error(err)
	}
	m := two()
	m.Supports = nil
	if _, err := frame3d.New(m); !errors.Is(err, frame3d.ErrSupport) {
		t.Error(err)
	}
	m = two()
	m.Nodes[1] = vec{}
	var bad *frame3d.MemberError
	if _, err := frame3d.New(m); !errors.As(err, &bad) || bad.Member != 0 {
		t.Error(err)
	}
	m = two()
	m.Members[1].Iy = 0
	if _, err := frame3d.New(m); !errors.As(err, &bad) || bad.Member != 1 {
		t.Error(err)
	}
	// an island that nothing joins
	m = two()
	m.Nodes = append(m.Nodes, vec{X: 5}, vec{X: 6})
	m.Members = append(m.Members, bar(3, 4))
	var free *frame3d.MechanismError
	if _, err := frame3d.New(m); !errors.As(err, &free) || free.Node != 3 && free.Node != 4 {
		t.Errorf("an island: %v", err)
	}
	// a door: hinged at one end, held nowhere else; its far end moves most
	m = two()
	m.Members[1].Ends[0] = frame3d.Hinge()
	if _, err := frame3d.New(m); !errors.As(err, &free) || free.Node != 2 {
		t.Errorf("a door: %v", err)
	}
	// a support that only bears: it slides and turns
	m = two()
	m.Supports[0].Held = [6]bool{frame3d.Z: true}
	if _, err := frame3d.New(m); !errors.As(err, &free) {
		t.Errorf("on one foot: %v", err)
	}
}

// ladder is a frame of n cross bars over two rails.
func ladder(n int) (*frame3d.Model, []*frame3d.Case) {
	m := &frame3d.Model{}
	at := func(i, side int) int { return 2*i + side }
	for i := range n {
		m.Nodes = append(m.Nodes, vec{X: float64(i) * 0.3, Y: -0.6}, vec{X: float64(i) * 0.3, Y: 0.6})
		m.Members = append(m.Members, bar(at(i, 0), at(i, 1)))
		if i > 0 {
			m.Members = append(m.Members, bar(at(i-1, 0), at(i, 0)), bar(at(i-1, 1), at(i, 1)))
		}
	}
	m.Supports = []frame3d.Support{{Node: 0, Held: [6]bool{true, true, true}}, {Node: 1, Held: [6]bool{frame3d.Z: true}},
		{Node: at(n-1, 0), Held: [6]bool{false, true, true}}}
	var cases []*frame3d.Case
	for k := range 12 {
		c := &frame3d.Case{}
		for i := range m.Members {
			c.Lines = append(c.Lines, frame3d.LineLoad{Member: i, A: 0, B: 2, ForceA: vec{Z: -50}, Force: vec{Z: -50}})
			c.Points = append(c.Points, frame3d.PointLoad{Member: i, At: 0.1 * float64(k%3), Force: vec{Z: -100, Y: 20}})
		}
		cases = append(cases, c)
	}
	return m, cases
}

func benchmark(b *testing.B, n int) {
	m, cases := ladder(n)
	b.ReportMetric(float64(len(m.Members)), "members")
	for b.Loop() {
		s, err := frame3d.New(m)
		if err != nil {
			b.Fatal(err)
		}
		for _, c := range cases {
			s.Solve(c)
		}
	}
}

func BenchmarkLadder40(b *testing.B)  { benchmark(b, 14) }
func BenchmarkLadder100(b *testing.B) { benchmark(b, 34) }
func BenchmarkLadder200(b *testing.B) { benchmark(b, 67) }

// What the loads do is what the members hold: ½ΣF·d = ΣU, for a cantilever F²l³/6EI, and for the ladder with
// bolted ends.
func TestEnergy(t *testing.T) {
	m := &frame3d.Model{
		Nodes:    []frame3d.Vec{{}, {X: 2}},
		Members:  []frame3d.Member{{From: 0, To: 1, Area: 1e-3, Iy: 1e-6, Iz: 1e-6, It: 2e-6, E: 210e9, G: 81e9}},
		Supports: []frame3d.Support{{Node: 0, Held: [6]bool{true, true, true, true, true, true}}},
	}
	work := func() (half, held float64) {
		s, err := frame3d.New(m)
		if err != nil {
			t.Fatal(err)
		}
		o := s.Solve(&frame3d.Case{Nodes: []frame3d.NodeLoad{{Node: 1, Force: frame3d.Vec{Z: -1000}, Moment: frame3d.Vec{X: 300}}}})
		return (-1000*o.Moved[1][frame3d.Z] + 300*o.Moved[1][frame3d.RX]) / 2, o.Energy(0).Sum()
	}
	half, held := work()
	if want := 1e6*8/(6*210e9*1e-6) + 9e4*2/(2*81e9*2e-6); math.Abs(half-want) > 1e-9*want || math.Abs(held-want) > 1e-9*want {
		t.Errorf("%v and %v, by hand %v", half, held, want)
	}
	m.Members[0].Ends[0] = frame3d.End{Loose: [6]bool{frame3d.RY: true}, Stiff: [6]float64{frame3d.RY: 2e5}}
	if half, held := work(); math.Abs(half-held) > 1e-9*half {
		t.Errorf("with a sprung end %v and %v", half, held)
	}
}
