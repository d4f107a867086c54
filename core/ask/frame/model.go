package frame

import (
	"cmp"
	"math"
	"slices"
	"sync"

	"gonum.org/v1/gonum/spatial/r3"

	"zygonos/core/lang/quantity"
	"zygonos/core/parts"
	"zygonos/core/plan"
	"zygonos/core/rig"
	"zygonos/core/sums/frame3d"
)

type vec = r3.Vec

// Figures of practice (confidence C) where nothing is stated.
const (
	merge       = 0.015 // m within which two joints of a bar are one
	boltShare   = 0.5   // of a rigid end's stiffness that a bolted one has
	springUsual = 0.65  // m, a leaf spring from eye to slipper
	trailing    = 0.12  // m that a rubber axle's wheel stands behind its tube
	underRail   = 0.10  // m from a rail's middle down to the spring or tube
	deflects    = 0.040 // m of a spring under its rated load
	wheelLoad   = 400.0 // kg a side, where no rating is stated
	aside       = 2e5   // N/m with which a tyre holds sideways
)

// place is a place of a bar where something is joined to it.
type place struct {
	at   float64 // m from the bar's beginning
	node int     // of the model
	weld bool    // another bar is welded there
}

// piece is an element of the model: a stretch of a bar between two of its places.
type piece struct {
	bar        int
	from, to   float64 // m from the bar's beginning
	chi, chiLT float64 // what buckling and tipping leave of it
}

// model is a frame ready to be loaded.
type model struct {
	r      *rig.Rig
	bars   []parts.FrameBar
	work   []working // of each bar
	places [][]place // of each bar, in order
	pieces []piece   // of each member of m that belongs to a bar; axle and springs come after
	m      frame3d.Model
	solver *frame3d.Solver

	wheels  [][2]int  // supports of each axle: left, right
	hubs    [][2]int  // nodes
	axles   []float64 // m behind the front board
	leaf    bool
	bolts   float64 // of a rigid end's stiffness that a bolted one has
	missing string  // why the axle finds no place

	cross, along []parts.Bearer // what bears the deck
	lines        sync.Map       // what of it lies under a place across, []parts.Bearer by m

	shiftedOnce sync.Once
	shiftedBy   []change // as far as the loads' places are not known
}

// gearE is steel's; gearG with it.
const (
	gearE = 210e9
	gearG = 81e9
)

// stiff is a member of axle or spring, whose sections are not judged.
func stiff(from, to int, i float64) frame3d.Member {
	return frame3d.Member{From: from, To: to, Area: 2e-3, Iy: i, Iz: i, It: 2 * i, E: gearE, G: gearG}
}

// builder gathers places before they become nodes.
type builder struct {
	*model
	cuts  [][]float64 // of each bar
	joins [][2][2]int // two places (bar, index into cuts) that are one
	group []int
}

// build makes the model of a rig's frame; it is nil where the drawing is not whole. Bolted ends are as stiff
// as the finished frame showed, where it was tried.
func build(r *rig.Rig) *model {
	if r.Drawn == nil || !r.Drawn.Whole {
		return nil
	}
	return assemble(r, narrowed(r))
}

// assemble makes the model with bolted ends of a share of a rigid one's stiffness.
func assemble(r *rig.Rig, bolts float64) *model {
	d := r.Drawn
	if d == nil || !d.Whole || r.DeckFront == nil || r.Axle == nil {
		return nil
	}
	b := &builder{model: &model{r: r, bars: d.Bars, bolts: bolts}}
	b.cuts = make([][]float64, len(b.bars))
	b.work = make([]working, len(b.bars))
	for i := range b.bars {
		b.cuts[i] = []float64{0, b.bars[i].Length}
		b.work[i] = workingOf(&b.bars[i])
	}
	welds := map[[2]int]bool{}
	for _, t := range d.Touches {
		x, y := b.cut(t.A, t.AtA), b.cut(t.B, t.AtB)
		b.joins = append(b.joins, [2][2]int{x, y})
		weld := b.joint(t.A, t.AtA) == plan.JointWeld && b.joint(t.B, t.AtB) == plan.JointWeld
		welds[x], welds[y] = welds[x] || weld, welds[y] || weld
	}
	noses := make([][2]int, 0, len(d.Noses))
	for _, n := range d.Noses {
		noses = append(noses, b.cut(n, b.nose(n)))
	}
	b.cross, b.along = parts.Bearers(b.bars)
	gear := b.gear()
	b.number(welds, noses)
	b.hang(gear)
	for e, free := range b.free() {
		p := &b.pieces[e]
		p.chi, p.chiLT = buckles(&b.bars[p.bar], free), tips(&b.bars[p.bar], free)
	}
	return b.model
}

// free are the lengths over which the pieces can buckle, m: between joints with what runs another way or
// bears on the frame. Where a bar only goes on in one line, as a split one does, nothing holds it.
func (b *builder) free() []float64 {
	at := map[int][]int{} // pieces at a node
	for e := range b.pieces {
		m := &b.m.Members[e]
		at[m.From], at[m.To] = append(at[m.From], e), append(at[m.To], e)
	}
	held := map[int]bool{}
	for _, m := range b.m.Members[len(b.pieces):] {
		held[m.From], held[m.To] = true, true
	}
	for _, s := range b.m.Supports {
		held[s.Node] = true
	}
	run := make([]int, len(b.pieces)) // the run that a piece belongs to
	for e := range run {
		run[e] = e
	}
	dir := func(e int) vec { return b.bars[b.pieces[e].bar].Axes[0] }
	for node, es := range at {
		if held[node] || len(es) != 2 || math.Abs(r3.Dot(dir(es[0]), dir(es[1]))) < 1-1e-4 {
			continue
		}
		from, to := run[es[0]], run[es[1]]
		for e := range run {
			if run[e] == from {
				run[e] = to
			}
		}
	}
	sum := make([]float64, len(b.pieces))
	for e, p := range b.pieces {
		sum[run[e]] += p.to - p.from
	}
	out := make([]float64, len(b.pieces))
	for e := range out {
		out[e] = sum[run[e]]
	}
	return out
}

// cut is a place on a bar, at its end where it is near one.
func (b *builder) cut(bar int, at float64) [2]int {
	l := b.bars[bar].Length
	at = math.Max(0, math.Min(l, at))
	for i, c := range b.cuts[bar] {
		if math.Abs(c-at) <= merge {
			return [2]int{bar, i}
		}
	}
	b.cuts[bar] = append(b.cuts[bar], at)
	return [2]int{bar, len(b.cuts[bar]) - 1}
}

// joint is how a bar is joined at a place: as its end says, welded between.
func (b *builder) joint(bar int, at float64) plan.MemberJoint {
	m := &b.bars[bar].Member
	j := plan.JointWeld
	switch {
	case at <= merge:
		j = m.FromJoint
	case at >= b.bars[bar].Length-merge:
		j = m.ToJoint
	}
	return jointOf(&b.bars[bar], j)
}

// jointOf is an end's joint: welded where nothing is stated, but for what cannot be welded.
func jointOf(b *parts.FrameBar, told plan.MemberJoint) plan.MemberJoint {
	switch {
	case told != "" && told != plan.JointWeld:
		return told
	case b.Stock.Weld == 0:
		return plan.JointBolt
	}
	return plan.JointWeld
}

// nose is the end of a bar that is nearer to the ball, m from its beginning.
func (b *builder) nose(bar int) float64 {
	x := -b.r.DeckFront.Nominal
	f, t := b.bars[bar].From, b.bars[bar].To
	if math.Hypot(f.X-x, f.Y) <= math.Hypot(t.X-x, t.Y) {
		return 0
	}
	return b.bars[bar].Length
}

// gear is where axles hang on the rails.
type gear struct {
	hangs [][2][]int // of each axle and side: indexes into cuts of rail, before and behind
	rails [2]int
	y     float64 // of the springs from the middle
}

// gear finds the rails that carry the axles and cuts them where springs or brackets sit.
func (b *builder) gear() *gear {
	t := b.r.Trailer
	front := b.r.DeckFront.Nominal
	for _, x := range b.r.AxlesAt() {
		b.axles = append(b.axles, x-front)
	}
	b.leaf = t.Suspension == plan.SpringsLeaf || t.Suspension == plan.SpringsSlipper || t.Suspension == ""
	g := &gear{rails: [2]int{-1, -1}}
	half := 0.0
	if s := t.Frame.SpringsApart; s != nil {
		half = float64(*s) / 2
	}
	var at [2]float64 // before and behind the axle
	switch {
	case b.leaf:
		l := springUsual
		if s := t.Frame.SpringLength; s != nil {
			l = float64(*s)
		}
		at = [2]float64{-l / 2, l / 2}
	case t.Suspension == plan.SpringsTorsion:
		at = [2]float64{-trailing, -trailing}
	}
	for side, sign := range [2]float64{-1, 1} {
		best := math.Inf(1)
		for i := range b.bars {
			r := &b.bars[i]
			if math.Abs(r.Axes[0].X) < 0.9 || r.Member.Role == plan.RoleDrawbar || !b.covers(r, at) {
				continue
			}
			y := r.Middle().Y * sign
			off := math.Abs(y - half)
			if half == 0 { // the outermost rail
				off = -y
			}
			if y > 0.05 && off < best {
				best, g.rails[side] = off, i
			}
		}
		if g.rails[side] < 0 {
			b.missing = "no rail runs over the axle on both sides"
			return nil
		}
	}
	g.y = half
	if half == 0 {
		g.y = (b.bars[g.rails[1]].Middle().Y - b.bars[g.rails[0]].Middle().Y) / 2
	}
	for _, x := range b.axles {
		var h [2][]int
		for side, rail := range g.rails {
			r := &b.bars[rail]
			for _, d := range at {
				s := (x + d - r.From.X) / r.Axes[0].X
				h[side] = append(h[side], b.cut(rail, s)[1])
			}
		}
		g.hangs = append(g.hangs, h)
	}
	return g
}

// covers reports whether a bar lies over all places where axles hang.
func (b *builder) covers(r *parts.FrameBar, at [2]float64) bool {
	low, high := math.Min(r.From.X, r.To.X), math.Max(r.From.X, r.To.X)
	for _, x := range b.axles {
		if x+at[0] < low-merge || x+at[1] > high+merge {
			return false
		}
	}
	return true
}

// number makes nodes of the places that are one, and elements of the bars between them.
func (b *builder) number(welds map[[2]int]bool, noses [][2]int) {
	first := make([]int, len(b.bars)) // number of a bar's first place
	n := 0
	for i := range b.cuts {
		first[i] = n
		n += len(b.cuts[i])
	}
	ball := n // the ball's own place
	b.group = make([]int, n+1)
	for i := range b.group {
		b.group[i] = i
	}
	id := func(p [2]int) int { return first[p[0]] + p[1] }
	for _, j := range b.joins {
		b.unite(id(j[0]), id(j[1]))
	}
	for _, p := range noses {
		b.unite(id(p), ball)
	}
	nodeOf := map[int]int{}
	at := vec{X: -b.r.DeckFront.Nominal, Z: b.ballHeight(noses)}
	nodeOf[b.find(ball)] = b.node(at)
	b.m.Supports = append(b.m.Supports, frame3d.Support{Node: 0, Held: [6]bool{true, true, true}})
	b.places = make([][]place, len(b.bars))
	for i := range b.bars {
		bar := &b.bars[i]
		for k, s := range b.cuts[i] {
			g := b.find(first[i] + k)
			node, ok := nodeOf[g]
			if !ok {
				node = b.node(bar.At(s))
				nodeOf[g] = node
			}
			b.places[i] = append(b.places[i], place{s, node, welds[[2]int{i, k}]})
		}
	}
	const gear = 24 // of springs and axles, at most, as two axles have them
	b.m.Members, b.pieces = make([]frame3d.Member, 0, n+gear), make([]piece, 0, n)
	for i := range b.bars {
		ps := slices.Clone(b.places[i])
		slices.SortFunc(ps, func(x, y place) int { return cmp.Compare(x.at, y.at) })
		for k := 1; k < len(ps); k++ {
			b.element(i, ps[k-1], ps[k])
		}
	}
}

func (b *builder) unite(x, y int) { b.group[b.find(x)] = b.find(y) }
func (b *builder) find(x int) int {
	for b.group[x] != x {
		b.group[x] = b.group[b.group[x]]
		x = b.group[x]
	}
	return x
}

func (b *model) node(at vec) int {
	b.m.Nodes = append(b.m.Nodes, at)
	return len(b.m.Nodes) - 1
}

// ballHeight is the ball's middle in the deck's coordinates; where its height is not stated, as high as what
// bears the coupling.
func (b *builder) ballHeight(noses [][2]int) float64 {
	if h := b.r.Trailer.CouplingHeight; h != nil {
		return float64(*h) - b.r.DeckHeight()
	}
	bar := &b.bars[noses[0][0]]
	return bar.At(b.cuts[noses[0][0]][noses[0][1]]).Z
}

// element is a stretch of a bar. Its ends stand off their nodes by rigid arms; a bolted end of the bar is a
// spring of k = 3EI/L·f/(1 − f), with f the share of a rigid end's stiffness.
func (b *builder) element(bar int, from, to place) {
	r := &b.bars[bar]
	s := &r.Section
	iy, iz, roll := s.Iy, s.Iz, r.Member.Roll
	if s.FreeBendsAside { // about its principal axes
		iy, iz, roll = s.Major, s.Minor, roll+s.Tilt
	}
	m := frame3d.Member{
		From: from.node, To: to.node, Area: s.Area, Iy: iy, Iz: iz, It: r.Twist.It, Roll: roll,
		E: r.Stock.Modulus, G: shear(r),
	}
	for e, p := range [2]place{from, to} {
		m.Ends[e].Arm = r3.Sub(r.At(p.at), b.m.Nodes[p.node])
		if p.at > merge && p.at < r.Length-merge {
			continue
		}
		switch b.joint(bar, p.at) {
		case plan.JointHinge:
			m.Ends[e].Loose[frame3d.RY], m.Ends[e].Loose[frame3d.RZ] = true, true
		case plan.JointBolt:
			k := 3 * m.E / r.Length * b.bolts / (1 - b.bolts)
			m.Ends[e].Loose[frame3d.RY], m.Ends[e].Stiff[frame3d.RY] = true, k*iy
			m.Ends[e].Loose[frame3d.RZ], m.Ends[e].Stiff[frame3d.RZ] = true, k*iz
		}
	}
	b.pieces = append(b.pieces, piece{bar: bar, from: from.at, to: to.at})
	b.m.Members = append(b.m.Members, m)
}

// shear is a bar's shear modulus, Pa: E/2(1 + 0.3) of metals, E/16 of timber (EN 338).
func shear(r *parts.FrameBar) float64 {
	if r.Stock.Timber {
		return r.Stock.Modulus / 16
	}
	return r.Stock.Modulus / 2.6
}

// hang puts springs or brackets, axles, hubs and the wheels' feet on the ground under the rails.
func (b *builder) hang(g *gear) {
	if g == nil {
		return
	}
	radius := b.r.WheelRadius()
	ground := -b.r.DeckHeight()
	half := b.r.WheelTrack() / 2
	if b.r.Trailer.Track == nil { // far out bends the frame more: the further of what is usual
		half = math.Max(half, g.y+0.15)
	}
	rate := b.rate()
	for i, x := range b.axles {
		var hubs, feet, seats [2]int
		for side, sign := range [2]float64{-1, 1} {
			rail := g.rails[side]
			z := b.bars[rail].Middle().Z - underRail
			seats[side] = b.seat(rail, g.hangs[i][side], vec{X: x, Y: sign * g.y, Z: z}, rate)
			hubs[side] = b.node(vec{X: x, Y: sign * half, Z: ground + radius})
			b.m.Members = append(b.m.Members, stiff(seats[side], hubs[side], 1e-5))
			foot := b.node(vec{X: x, Y: sign * half, Z: ground})
			b.m.Members = append(b.m.Members, stiff(hubs[side], foot, 1e-5))
			feet[side] = len(b.m.Supports)
			b.m.Supports = append(b.m.Supports, frame3d.Support{
				Node: foot, Held: [6]bool{frame3d.Z: true}, Spring: [6]float64{frame3d.Y: aside},
			})
		}
		axle := stiff(seats[0], seats[1], 4e-7) // as a tube of 50 × 50 × 5
		b.m.Members = append(b.m.Members, axle)
		b.hubs, b.wheels = append(b.hubs, hubs), append(b.wheels, feet)
	}
}

// rate is a spring's, N/m a side and axle: as stated, else its rated load above the usual deflection.
func (b *builder) rate() float64 {
	n := 2 * float64(max(1, len(b.axles)))
	if k, ok := b.r.SpringRate(); ok && k > 0 {
		return k * quantity.Gravity / n
	}
	load := wheelLoad
	t := b.r.Trailer
	if a := t.AxleRating; a != nil { // of all axles together
		load = float64(*a) / n
	} else if a := t.SpringRating; a != nil {
		load = float64(*a) / n
	}
	return load * quantity.Gravity / deflects
}

// seat is the node where an axle sits on one side: midway on a leaf spring that is hinged to the rail before
// and slides behind, or on a bracket under the rail.
func (b *builder) seat(rail int, hangs []int, at vec, rate float64) int {
	r := &b.bars[rail]
	node := b.node(at)
	pl := b.places[rail]
	arm := func(p place, to vec) vec { return r3.Sub(to, b.m.Nodes[p.node]) }
	if !b.leaf {
		p := pl[hangs[0]]
		x := vec{X: r.At(p.at).X, Y: at.Y, Z: at.Z}
		if math.Abs(x.X-at.X) < 1e-6 { // the tube sits on the bracket itself
			x.Z += underRail / 2
		}
		m := stiff(p.node, node, 1e-5)
		m.Ends[0].Arm = arm(p, x)
		b.m.Members = append(b.m.Members, m)
		return node
	}
	// k = 48EI/L³ of the whole spring; sideways and about itself it is held far more stiffly
	before, behind := pl[hangs[0]], pl[hangs[1]]
	l := math.Abs(r.At(behind.at).X - r.At(before.at).X)
	iy := rate * l * l * l / (48 * gearE)
	leaf := func(p place) frame3d.Member {
		m := frame3d.Member{
			From: p.node, To: node, Area: 3e-4, Iy: iy, Iz: 50 * iy, It: 50 * iy, E: gearE, G: gearG,
		}
		m.Ends[0].Arm = arm(p, vec{X: r.At(p.at).X, Y: at.Y, Z: at.Z})
		m.Ends[0].Loose[frame3d.RY] = true
		return m
	}
	eye, slipper := leaf(before), leaf(behind)
	slipper.Ends[0].Loose[frame3d.X] = true
	b.m.Members = append(b.m.Members, eye, slipper)
	return node
}
