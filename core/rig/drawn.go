package rig

import (
	"math"
	"slices"

	"gonum.org/v1/gonum/spatial/r3"

	"zygonos/core/facts/catalogue"
	"zygonos/core/facts/norms"
	"zygonos/core/lang/finding"
	"zygonos/core/lang/quantity"
	"zygonos/core/lang/said"
	"zygonos/core/parts"
	"zygonos/core/plan"
	"zygonos/core/sums/statics"
)

// Drawn is the trailer's own frame as it is drawn.
type Drawn struct {
	Bars    []parts.FrameBar
	Touches []parts.Touch
	Mass    float64  // of the members, kg, without what welds and paint add
	Centre  r3.Vec   // in the deck's coordinates, m
	Noses   []int    // members whose end bears the coupling
	Twice   [][2]int // members that lie in each other
	Loose   []int    // members that no other joins to the rest
	Whole   bool     // all is joined, and it reaches the coupling
	Many    bool     // it has more members than are computed: weight and centre alone are known
}

// MostMembers is how many members of a frame are computed: a review of them takes half a second, and no
// trailer has a third of them.
const MostMembers = 500

// Figures of practice (confidence C).
const (
	noseReach = 0.3  // m between the ball and what bears the coupling: a head's length
	noseGroup = 0.15 // m that the two ends of an A-frame differ by
	mill      = 0.03 // of a section's weight, by its tolerance
)

// headMass is what a coupling head weighs, kg (C).
var headMass = span{Nominal: 4, Low: 2, High: 7}

// draw makes the frame ready; nil where none is drawn.
func (r *Rig) draw() {
	f := r.Trailer.Frame
	if f == nil || len(f.Members) == 0 {
		return
	}
	d := &Drawn{Bars: parts.FrameBars(f), Many: len(f.Members) > MostMembers}
	d.Mass, d.Centre = parts.BarsMass(d.Bars)
	r.Drawn = d
	if d.Many {
		return
	}
	d.Touches = parts.FrameTouches(d.Bars)
	if r.DeckFront != nil {
		d.Noses = noses(d.Bars, -r.DeckFront.Nominal)
	}
	d.Loose = loose(d)
	if own := r.Trailer.Drawbar; len(d.Noses) > 0 && (own == nil || own.Profile == (plan.Profile{})) {
		// what the drawing tells of the drawbar is not asked for again
		bar := plan.Drawbar{}
		if own != nil {
			bar = *own
		}
		bar.Profile, bar.Beams = d.Bars[d.Noses[0]].Member.Profile, min(2, len(d.Noses))
		r.Trailer.Drawbar = &bar
	}
	d.Twice = parts.FrameTwice(d.Bars)
	wrong := slices.ContainsFunc(d.Bars, func(b parts.FrameBar) bool { return b.Wrong != "" })
	d.Whole = !wrong && len(d.Loose) == 0 && len(d.Twice) == 0 && len(d.Noses) > 0
}

// noses are the members that end nearest to the ball, which stands at x in the deck's coordinates: one,
// or the two of an A-frame.
func noses(bars []parts.FrameBar, x float64) (out []int) {
	far := func(b *parts.FrameBar) float64 {
		d := func(p r3.Vec) float64 { return math.Hypot(p.X-x, p.Y) }
		return math.Min(d(b.From), d(b.To))
	}
	least := math.Inf(1)
	for i := range bars {
		least = math.Min(least, far(&bars[i]))
	}
	if least > noseReach {
		return nil
	}
	for i := range bars {
		if bars[i].Wrong == "" && far(&bars[i]) <= least+noseGroup {
			out = append(out, i)
		}
	}
	return out
}

// loose are the members that are not joined to the largest group of members; the coupling joins its own.
func loose(d *Drawn) (out []int) {
	group := make([]int, len(d.Bars))
	for i := range group {
		group[i] = i
	}
	var find func(i int) int
	find = func(i int) int {
		if group[i] != i {
			group[i] = find(group[i])
		}
		return group[i]
	}
	for _, t := range d.Touches {
		group[find(t.A)] = find(t.B)
	}
	for _, n := range d.Noses {
		group[find(n)] = find(d.Noses[0])
	}
	size := make([]int, len(d.Bars))
	best := 0
	for i := range d.Bars {
		g := find(i)
		size[g]++
		if size[g] > size[best] {
			best = g
		}
	}
	for i := range d.Bars {
		if find(i) != find(best) {
			out = append(out, i)
		}
	}
	return out
}

// byDrawing reports whether the empty trailer is known best from its drawing: it is whole, nothing was
// weighed, and no plate or paper tells.
func (r *Rig) byDrawing() bool {
	e := &r.Trailer.Empty
	if r.Drawn == nil || !r.Drawn.Whole || e.Ball != nil || e.Axle != nil || e.Left != nil || e.Right != nil {
		return false
	}
	return e.Mass == nil || e.Mass.How == plan.Typical || e.Mass.How == plan.Guessed
}

// bit is one thing of the empty trailer by its drawing.
type bit struct {
	path, name string
	mass       span
	at         span // behind the ball, m
	onAxle     bool
	how        plan.How
}

// bits are what an empty trailer is made of by its drawing: members with welds and paint, axle and
// wheels, the coupling head, and what is neither drawn nor fitted but will be there: floor, sides,
// mudguards, the jockey wheel.
func (r *Rig) bits() (out []bit) {
	d, t := r.Drawn, r.Trailer
	front := *r.DeckFront
	extra := parts.Extra(t.Frame)
	out = append(out, bit{
		path: r.trailerPath("/frame"), name: "frame, as drawn", how: plan.Maker, at: front.Plus(d.Centre.X),
		mass: span{
			Nominal: d.Mass * (1 + extra), Low: d.Mass * (1 - mill), High: d.Mass * (1 + 2*extra + mill),
		},
	})
	if t.Frame.Dipped {
		_, zinc := parts.Galvanised(d.Bars)
		out = append(out, bit{
			path: r.trailerPath("/frame/dipped"), name: "zinc", how: plan.Typical, at: front.Plus(d.Centre.X),
			mass: span{Nominal: zinc, Low: zinc / norms.ZincOften, High: zinc * norms.ZincOften},
		})
	}
	gear := r.Gear()
	if t.RunningGear == nil {
		r.rough(r.trailerPath("/runningGear"), said.Say("the weight of axle, springs and wheels"),
			said.Say("Weigh a wheel, or take the axle maker's figure."))
	}
	out = append(out, bit{
		path: r.trailerPath("/runningGear"), name: "axle and wheels", how: gear.How,
		mass: gear.Range(r.Plan).Floats(), onAxle: true,
	}, bit{path: r.trailerPath("/couplingRating"), name: "coupling head", how: plan.Typical, mass: headMass})
	length, width := 0.0, 0.0
	if e := t.DeckLength; e != nil {
		length = float64(e.Value)
	}
	if e := t.DeckWidth; e != nil {
		width = float64(e.Value)
	}
	fitted := map[string]bool{}
	for id := range t.Fitted {
		fitted[r.Plan.Parts[id].Kind] = true
	}
	usual := func(kind string, at span, times float64) {
		f, ok := catalogue.FittingOf(kind)
		if !ok || times <= 0 {
			return
		}
		low, high := float64(f.Low)*times, float64(f.High)*times
		out = append(out, bit{
			path: r.trailerPath("/fitted"), name: said.Say(f.Name).Text(r.Plan.Locale()), how: plan.Typical, at: at,
			mass: span{Nominal: (low + high) / 2, Low: low, High: high},
		})
	}
	middle := front.Plus(length / 2)
	if floor := map[plan.Floor]string{
		plan.FloorPly: "floor-ply", plan.FloorBoards: "floor-boards", plan.FloorPlate: "floor-plate",
		plan.FloorMesh: "floor-mesh", "": "floor-ply",
	}[t.Floor]; floor != "" && !fitted["floor-ply"] && !fitted["floor-boards"] && !fitted["floor-plate"] &&
		!fitted["floor-mesh"] {
		if density, ok := parts.FloorDensity(t); ok && t.FloorThick != nil && length*width > 0 {
			m := length * width * float64(*t.FloorThick) * density // ± a tenth: what is sold differs so much
			out = append(out, bit{
				path: r.trailerPath("/floorThick"), name: "floor, by its thickness", how: plan.Typical, at: middle,
				mass: span{Nominal: m, Low: 0.9 * m, High: 1.1 * m},
			})
		} else {
			usual(floor, middle, length*width)
		}
	}
	if more := parts.FloorMore(t); more > 0 {
		out = append(out, bit{
			path: r.trailerPath("/decking"), name: "rub rails and plate", how: plan.Maker, at: middle,
			mass: span{Nominal: more, Low: (1 - mill) * more, High: (1 + mill) * more},
		})
	}
	if s := t.SideHeight; s != nil && *s > 0 && !fitted["sides"] && !fitted["side-board"] {
		usual("sides", middle, 1)
	}
	if !fitted["mudguards"] && r.Axle != nil {
		usual("mudguards", *r.Axle, 1)
	}
	if !fitted["jockey"] {
		usual("jockey", quantity.Exactly(math.Min(0.4, front.Nominal)), 1)
	}
	return out
}

// Gear is what axles, springs and wheels weigh: as stated, else a guess for each axle.
func (r *Rig) Gear() *plan.MassEstimate {
	if g := r.Trailer.RunningGear; g != nil {
		return g
	}
	n := mass(r.Trailer.AxleCount())
	return &plan.MassEstimate{Value: 60 * n, PlusMinus: new(30 * n), How: plan.Guessed}
}

// drawnMass is what the empty trailer weighs by its drawing, fitted parts not counted.
func (r *Rig) drawnMass() span {
	var s span
	for _, b := range r.bits() {
		s = span{Nominal: s.Nominal + b.mass.Nominal, Low: s.Low + b.mass.Low, High: s.High + b.mass.High}
	}
	return s
}

// emptyByDrawing adds the masses of the drawing as the trailer's own.
func (r *Rig) emptyByDrawing() {
	r.EmptyWay = "from the drawing"
	for _, b := range r.bits() {
		t := statics.Term{Path: b.path, Name: b.name, How: string(b.how), Amount: b.mass, InMass: 1}
		if b.onAxle {
			t.OnAxle = quantity.Exactly(1.0)
		} else {
			t.Arm = b.at
		}
		r.Beam.Terms = append(r.Beam.Terms, t)
	}
}

// Bit is one thing of the drawn empty trailer, for its panel.
type Bit struct {
	Name string          `json:"name"`
	Path string          `json:"path"`
	Mass finding.Measure `json:"mass"`
	At   float64         `json:"at"` // behind the ball, m
	How  plan.How        `json:"how"`
}

// Bits lists what the drawn empty trailer is made of; nil where it is not whole.
func (r *Rig) Bits() (out []Bit) {
	if r.Drawn == nil || !r.Drawn.Whole || r.DeckFront == nil || r.Axle == nil {
		return nil
	}
	rough := r.Rough
	defer func() { r.Rough = rough }() // asking adds no need twice
	for _, b := range r.bits() {
		at := b.at.Nominal
		if b.onAxle {
			at = r.Axle.Nominal
		}
		out = append(out, Bit{b.name, b.path, *finding.Of(quantity.KindMass, b.mass), at, b.how})
	}
	return out
}
