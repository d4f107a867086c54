package wiring

import (
	"errors"
	"math"
	"slices"

	"gonum.org/v1/gonum/spatial/r3"

	"zygonos/core/facts/norms"
	"zygonos/core/lang/finding"
	"zygonos/core/lang/quantity"
	"zygonos/core/lang/said"
	"zygonos/core/lang/scene"
	"zygonos/core/parts"
	"zygonos/core/plan"
	"zygonos/core/rig"
	"zygonos/core/sums/route"
)

// CodeRoute is the code of the finding on where the cable runs.
const CodeRoute = "wiring.route"

// Figures of practice (confidence C), m.
const (
	liked     = 0.3   // of its length that a member counts for along which the cable is wanted
	clipEvery = 0.30  // along a member
	foldLoop  = 0.10  // of spare cable at a hinge
	thick     = 0.012 // of a cable with seven wires
	bends     = 6.0   // times its thickness that a cable is bent to, moved again and again
)

// way is one stretch that a cable takes.
type way struct {
	key  int // the same stretch has the same key
	long float64
	pts  [2]scene.Point // from above: behind the front board, right of the middle
	own  bool           // not along a member: the lead, or off the frame to a lamp
	into bool           // through the wall of a member into the next
}

// wires are the lengths of a harness, m.
type wires struct {
	paths  [][]way   // of each unit, from the plug
	trunk  []float64 // of each pole, to where its lamps part
	earth  float64   // of the earth, to where the units part
	branch []float64 // from there, of each lamp
	unit   []float64 // and of each unit's earth
	drawn  bool      // along the members of a drawn frame
	proven bool      // no shorter tree joins all lamps
	apart  int       // unit that no member leads to; −1: none
}

// wires runs the cable, once for a harness.
func (h *Harness) wires() *wires {
	h.once.Do(func() { h.run = h.runs() })
	return h.run
}

func (h *Harness) runs() *wires {
	w := &wires{
		apart: -1, trunk: make([]float64, len(h.poles)), branch: make([]float64, len(h.lamps)),
		unit: make([]float64, h.units),
	}
	if h.units == 0 { // reflectors alone
		return w
	}
	if !h.along(w) {
		h.straight(w)
	}
	h.fold(w)
	off := make([]float64, len(h.lamps)) // of a lamp from its unit's place
	for i := range h.lamps {
		off[i] = h.beside(i) + ends
	}
	units := func(pole int) (out []int) {
		for i := range h.lamps {
			if h.lamps[i].pole == pole && !slices.Contains(out, h.lamps[i].unit) {
				out = append(out, h.lamps[i].unit)
			}
		}
		return out
	}
	for p := range h.poles {
		n := w.shared(units(p))
		for _, u := range units(p)[:min(1, len(units(p)))] {
			w.trunk[p] = sum(w.paths[u][:n])
		}
		for i := range h.lamps {
			if h.lamps[i].pole == p {
				w.branch[i] = sum(w.paths[h.lamps[i].unit][n:]) + off[i]
			}
		}
	}
	all := make([]int, h.units)
	for u := range all {
		all[u] = u
	}
	n := w.shared(all)
	w.earth = sum(w.paths[0][:n])
	for i := range h.lamps {
		u := h.lamps[i].unit
		w.unit[u] = math.Max(w.unit[u], sum(w.paths[u][n:])+off[i])
	}
	return w
}

// shared is how many stretches, from the plug on, the cables to some units have in common.
func (w *wires) shared(units []int) (n int) {
	if len(units) == 0 {
		return 0
	}
	for first := w.paths[units[0]]; n < len(first); n++ {
		for _, u := range units {
			if n >= len(w.paths[u]) || w.paths[u][n].key != first[n].key {
				return n
			}
		}
	}
	return n
}

func sum(ways []way) (m float64) {
	for i := range ways {
		m += ways[i].long
	}
	return m
}

// place is where a unit is: that of its first lamp.
func (h *Harness) place(unit int) *plan.Lamp {
	for i := range h.lamps {
		if h.lamps[i].unit == unit {
			return &h.lamps[i].l
		}
	}
	return &plan.Lamp{}
}

// beside is how far a lamp stands from its unit's place, m.
func (h *Harness) beside(lamp int) float64 {
	l, at := &h.lamps[lamp].l, h.place(h.lamps[lamp].unit)
	return math.Hypot(float64(l.Back-at.Back), float64(l.Right-at.Right))
}

// straight runs the cable where no frame is drawn: along the middle to the rearmost lamp, from there across and
// back along the trailer.
func (h *Harness) straight(w *wires) {
	at := 0.0
	for i := range h.lamps {
		at = math.Max(at, float64(h.lamps[i].l.Back))
	}
	front := h.lead - slack
	lead := way{key: -1, long: h.lead, pts: [2]scene.Point{{-front, 0}, {0, 0}}, own: true}
	along := way{key: -2, long: at, pts: [2]scene.Point{{0, 0}, {at, 0}}}
	for u := range h.units {
		l := h.place(u)
		x, y := float64(l.Back), float64(l.Right)
		w.paths = append(w.paths, []way{lead, along,
			{key: 2 * u, long: math.Abs(y), pts: [2]scene.Point{{at, 0}, {at, y}}},
			{key: 2*u + 1, long: math.Abs(x - at), pts: [2]scene.Point{{at, y}, {x, y}}},
		})
	}
}

// mesh is a drawn frame as ways for a cable.
type mesh struct {
	g    route.Graph
	at   []r3.Vec // of each node
	into []bool   // of each edge: from one member into another
	own  []bool   // off the frame
	on   [][]knot // of each bar
}

type knot struct {
	s    float64
	node int
}

// along runs the cable along a drawn frame's members by the shortest tree that joins plug and lamps; false where
// none is drawn, or a lamp is out of its reach.
func (h *Harness) along(w *wires) bool {
	d := h.r.Drawn
	if d == nil || len(d.Bars) == 0 || h.r.DeckFront == nil {
		return false
	}
	places := make([]r3.Vec, 0, h.units+1)
	places = append(places, r3.Vec{X: -h.r.DeckFront.Nominal})
	for u := range h.units {
		l := h.place(u)
		p := r3.Vec{X: float64(l.Back), Y: float64(l.Right)}
		if l.Height > 0 {
			p.Z = float64(l.Height) - h.r.DeckHeight()
		}
		places = append(places, p)
	}
	m, nodes := h.mesh(d.Bars, parts.FrameTouches(d.Bars), places)
	tree, err := route.Join(&m.g, nodes)
	var apart *route.ApartError
	switch {
	case errors.As(err, &apart):
		w.apart = max(0, apart.Place-1)
		return false
	case err != nil:
		return false
	}
	w.drawn, w.proven = true, tree.Proven
	before := way{key: -1, long: math.Max(0, h.lead-h.r.DeckFront.Nominal), own: true} // before the ball
	front := scene.Point{-h.r.DeckFront.Nominal, 0}
	before.pts = [2]scene.Point{front, front}
	for _, path := range m.g.Paths(tree, nodes[0], nodes[1:]) {
		ways := []way{before}
		from := nodes[0]
		for _, e := range path {
			edge := &m.g.Edges[e]
			to := edge.A + edge.B - from
			a, b := m.at[from], m.at[to]
			ways = append(ways, way{
				key: e, long: edge.Long, own: m.own[e], into: m.into[e],
				pts: [2]scene.Point{{a.X, a.Y}, {b.X, b.Y}},
			})
			from = to
		}
		w.paths = append(w.paths, ways)
	}
	return true
}

// mesh makes nodes of the bars' ends, of where they touch and of what lies next to each place, and edges along the
// bars, across touches and off to the places, whose nodes it gives.
func (h *Harness) mesh(bars []parts.FrameBar, touches []parts.Touch, places []r3.Vec) (m *mesh, nodes []int) {
	m = &mesh{on: make([][]knot, len(bars))}
	node := func(p r3.Vec) int {
		m.at = append(m.at, p)
		m.g.Nodes++
		return m.g.Nodes - 1
	}
	edge := func(a, b int, long, cost float64, own, into bool) {
		m.g.Edges = append(m.g.Edges, route.Edge{A: a, B: b, Long: long, Cost: cost})
		m.own, m.into = append(m.own, own), append(m.into, into)
	}
	off := func(i int) bool { return h.w.Route[bars[i].ID] == plan.RouteOff || bars[i].Length == 0 }
	knotOf := func(bar int, s float64) int {
		for _, k := range m.on[bar] {
			if math.Abs(k.s-s) < 1e-6 {
				return k.node
			}
		}
		n := node(bars[bar].At(s))
		m.on[bar] = append(m.on[bar], knot{s, n})
		return n
	}
	for _, t := range touches {
		if off(t.A) || off(t.B) {
			continue
		}
		edge(knotOf(t.A, t.AtA), knotOf(t.B, t.AtB), t.Across, t.Across, false, true)
	}
	for _, p := range places {
		best, at, near := -1, 0.0, math.Inf(1)
		for i := range bars {
			if off(i) {
				continue
			}
			s := math.Max(0, math.Min(bars[i].Length, r3.Dot(r3.Sub(p, bars[i].From), bars[i].Axes[0])))
			if d := r3.Norm(r3.Sub(p, bars[i].At(s))); d < near-1e-9 {
				best, at, near = i, s, d
			}
		}
		n := node(p)
		nodes = append(nodes, n)
		if best >= 0 {
			edge(n, knotOf(best, at), near, near, true, false)
		}
	}
	for i := range bars {
		slices.SortFunc(m.on[i], func(a, b knot) int {
			switch {
			case a.s < b.s:
				return -1
			case a.s > b.s:
				return 1
			}
			return 0
		})
		for k := 1; k < len(m.on[i]); k++ {
			long := m.on[i][k].s - m.on[i][k-1].s
			cost := long
			if h.w.Route[bars[i].ID] == plan.RouteAlong {
				cost *= liked
			}
			edge(m.on[i][k-1].node, m.on[i][k].node, long, cost, false, false)
		}
	}
	return m, nodes
}

// fold adds what a hinge takes of every cable that runs over it: its distance from the axis times the turn, and
// a loop.
func (h *Harness) fold(w *wires) {
	if h.w.FoldAt == nil {
		return
	}
	extra := foldLoop + foldTakes(h.w)
	for u := range w.paths {
		l := h.place(u)
		if l.Back > *h.w.FoldAt {
			w.paths[u] = slices.Insert(w.paths[u], 1, way{key: -3, long: extra, own: true, pts: [2]scene.Point{
				w.paths[u][0].pts[1], w.paths[u][0].pts[1],
			}})
		}
	}
}

// foldTakes is the length that a cable off a hinge's axis needs more when it turns, m.
func foldTakes(w *plan.Wiring) float64 {
	turn, off := math.Pi, 0.05 // folded flat, under a bed
	if w.FoldTurn != nil {
		turn = *w.FoldTurn
	}
	if w.FoldOff != nil {
		off = float64(*w.FoldOff)
	}
	return turn * off
}

// stretches are the ways of all cables, each once, with how many of the units' cables lie in it.
func (w *wires) stretches() (out []way, cables []int) {
	at := map[int]int{}
	for _, p := range w.paths {
		for _, s := range p {
			if i, is := at[s.key]; is {
				cables[i]++
				continue
			}
			at[s.key] = len(out)
			out, cables = append(out, s), append(cables, 1)
		}
	}
	return out, cables
}

// routed says where the cable runs, and what of its hinge is too tight.
func (h *Harness) routed() (finding.Finding, bool) {
	f := base(h.r, CodeRoute, "Where the cable runs")
	f.Gate, f.Subject = finding.GateCut, "/trailers/"+h.r.Scope.Trailer+"/wiring/route"
	f.Source = norms.Practice("shortest way along the members, clips every 300 mm")
	w := h.wires()
	if w.apart >= 0 {
		f.Outcome, f.Tight = finding.Tight, finding.LittleRoom
		f.Says = said.Say(
			"No member leads the cable to %. Let it run along more members, or draw what it is fixed to; until then a straight line is counted.",
			said.Name(h.unitName(w.apart), "a lamp"),
		)
		return f, true
	}
	if at := h.w.FoldAt; at != nil {
		least := 2 * bends * thick // a loop of that radius, half round
		turn := math.Pi
		if h.w.FoldTurn != nil {
			turn = *h.w.FoldTurn
		}
		loop := foldTakes(h.w) + foldLoop
		radius := math.Inf(1)
		if turn > 0 {
			radius = loop / turn
		}
		f.Subject = "/trailers/" + h.r.Scope.Trailer + "/wiring/foldOff"
		f.Figure, f.Limit = finding.Exactly(
			quantity.KindLength,
			math.Min(radius, 10),
		), finding.Exactly(
			quantity.KindLength,
			bends*thick,
		)
		if radius < bends*thick {
			f.Outcome, f.Tight = finding.Tight, finding.LittleRoom
			f.Says = said.Say(
				"Folded, the cable bends to a radius of % at the hinge; a moving cable needs %. Lead it farther off the axis, with a loop % across.",
				said.Length(radius),
				said.Length(bends*thick),
				said.Length(least),
			)
			return f, true
		}
		f.Says = said.Say(
			"At the hinge the cable needs % more, in a loop that does not touch the ground.",
			said.Length(loop),
		)
		return f, true
	}
	if !w.drawn {
		return f, false
	}
	ways, _ := w.stretches()
	f.Figure = finding.Exactly(quantity.KindLength, sum(ways))
	f.Says = said.Say(
		"% of cable along the members, by the shortest tree that joins all lamps.",
		said.Length(sum(ways)),
	)
	if !w.proven {
		f.Says = said.Say(
			"% of cable along the members; with so many lamps there may be a shorter layout.",
			said.Length(sum(ways)),
		)
	}
	return f, true
}

// HarnessPart is something that the harness takes besides wire.
type HarnessPart struct {
	Says said.Sentence `json:"says"`
}

// fittings are clips, conduit, grommets and joints.
func (h *Harness) fittings() (out []HarnessPart) {
	put := func(s said.Sentence) { out = append(out, HarnessPart{s}) }
	w := h.wires()
	ways, _ := w.stretches()
	long, into := 0.0, 0
	for _, s := range ways {
		if !s.own {
			long += s.long
		}
		if s.into {
			into++
		}
	}
	if long > 0 {
		put(
			said.Say(
				"%, one every % and beside each bend",
				said.Counted(int(math.Ceil(long/clipEvery)), "clip", "clips"),
				said.Length(clipEvery),
			),
		)
		put(said.Say("% of conduit or split hose where stones fly", said.Length(math.Ceil(long*10)/10)))
	}
	if into > 0 {
		put(
			said.Say(
				"%, where it passes through or round a member: no bare edge",
				said.Counted(into, "grommet", "grommets"),
			),
		)
	}
	if n := h.joints(); n > 0 {
		how := map[plan.WireJoint]string{
			plan.JoinedCrimp:  "crimped, each in a sleeve that shrinks and seals",
			plan.JoinedSolder: "soldered, held by a clip on both sides: solder breaks where it moves",
			plan.JoinedBox:    "in a junction box with its entries down",
		}[h.w.Joined]
		if how == "" {
			how = "crimped and sealed, or in a junction box"
		}
		put(said.Say("% "+how, said.Counted(n, "joint", "joints")))
	}
	put(
		said.Say(
			"a drip loop before each lamp; % of cable to spare before the car, in a loop that does not touch the ground",
			said.Length(slack),
		),
	)
	return out
}

// joints are where one wire feeds more lamps than one.
func (h *Harness) joints() (n int) {
	for _, p := range h.usedPoles() {
		lamps := 0
		for i := range h.lamps {
			if h.lamps[i].pole == p {
				lamps++
			}
		}
		n += lamps - 1
	}
	if !h.w.EarthFrame {
		n += h.units - 1
	}
	return n
}

// nearRig keeps the rig's front for what is drawn.
func nearRig(r *rig.Rig, fallback float64) float64 {
	if r.DeckFront != nil {
		return r.DeckFront.Nominal
	}
	return fallback
}
