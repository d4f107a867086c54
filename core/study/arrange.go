package study

import (
	"cmp"
	"context"
	"math"
	"slices"
	"strings"

	"zygonos/core/ask/balance"
	"zygonos/core/ask/clearance"
	"zygonos/core/ask/sway"
	"zygonos/core/facts/norms"
	"zygonos/core/lang/finding"
	"zygonos/core/lang/quantity"
	"zygonos/core/lang/said"
	"zygonos/core/plan"
	"zygonos/core/review"
	"zygonos/core/rig"
	"zygonos/core/sums/stow"
)

// Arranged is what was found when all loads of an outing were to be placed:
// docs/method/stow.md.
type Arranged struct {
	Lacks
	Options []Arrangement   `json:"options"`
	Outcome finding.Outcome `json:"outcome"` // Fails: there is none
	Says    said.Sentence   `json:"says"`
	Grid    float64         `json:"grid"` // m; the coarsest that a load was placed on
	Loads   int             `json:"loads"`
	Places  int             `json:"places"` // looked through in all
}

// Arrangement is one way to place the loads, judged.
type Arrangement struct {
	finding.Variant
	Kind    string          `json:"kind"` // calm, even, near
	Outcome finding.Outcome `json:"outcome"`
	Proven  bool            `json:"proven"`
	Says    said.Sentence   `json:"says"` // what it is good for, and how sure that is
	Figures []Traded        `json:"figures"`
}

// Traded is one figure before and after.
type Traded struct {
	Name said.Sentence    `json:"name"`
	Was  *finding.Measure `json:"was,omitempty"`
	Then *finding.Measure `json:"then,omitempty"`
}

// Limits of a search.
const (
	arrangeGrid  = 0.05
	calmPlaces   = 600_000 // looked through for the calmest arrangement
	otherPlaces  = 100_000 // and for each other
	manyPlaces   = 120_000 // where there are more loads than are searched to the end
	maxArranged  = 40
	maxStacked   = 4
	carReserve   = 0.35  // m from the ball that a load keeps ahead
	usualBehind  = 1.0   // m beyond the tail that a long load may reach, where no rule says
	inertiaSteps = 0.2   // of what trailer and loads would have, piled up in one place
	sideSteps    = 0.015 // m of the rig's mass
	alongSteps   = 0.005 // of the rig's mass, on the ball
)

// Arrange places all of an outing's loads that are not pinned: so that the ball
// load lies in its window and no rating is over, the wheels differ little, the
// ball lies near the middle of what all allows, and the yaw inertia is small. It
// looks through at most a stated number of places and looks at the context and tells
// progress, which may be nil, in between.
func Arrange(ctx context.Context, p *plan.Plan, q review.Request, progress func(places int)) *Arranged {
	stop := func() bool { return over(ctx) }
	review.Ready(p)
	out := &Arranged{Options: []Arrangement{}, Outcome: finding.Unknown, Grid: arrangeGrid}
	base := review.Review(p, q)
	q = review.Request{Outing: base.Scope.Outing, Trailer: base.Scope.Trailer}
	laid, lays := lay(p, q.Trailer, q.Outing)
	work := p
	if len(lays) > 0 {
		work = withLayout(p, q.Trailer, q.Outing, laid)
	}
	if out.cannotBegin(rig.Resolve(work, q.Trailer, q.Outing)) {
		return out
	}
	t, why := newTask(work, q, p.Outings[q.Outing].Layouts[q.Trailer])
	if t == nil {
		out.Says = why
		return out
	}
	defer func() { out.Says = out.roughly(out.Says) }()
	t.lays, t.before = lays, base
	out.Loads = len(t.boxes)
	if why := t.misfits(); why != nil {
		out.Outcome, out.Says = finding.Fails, why
		return out
	}
	for {
		for t.covers() > 1 && len(t.stacked) < maxStacked && t.stack() {
		}
		out.search(t, stop, progress)
		if len(out.Options) > 0 || len(t.stacked) >= maxStacked || !t.stack() {
			break
		}
	}
	out.conclude(t, stop())
	return out
}

// cannotBegin reports whether something keeps loads from being placed at all, and says what.
func (a *Arranged) cannotBegin(r *rig.Rig) bool {
	if r == nil || r.Layout == nil || len(r.Layout.Placements) == 0 {
		return false
	}
	a.Lacks = deckLacks(r)
	if r.Bears == nil {
		a.Needs = more(a.Needs, r.Needs)
	}
	if len(a.Needs) > 0 {
		a.Says = a.sum()
		return true
	}
	if r.Bears == nil && r.Axle != nil { // all is stated, and it cannot be
		a.Says = said.Say(
			"An axle % behind the {coupling} carries nothing. Tape it again.",
			said.Length(r.Axle.Nominal),
		)
		a.Needs = []finding.Need{{Path: "/trailers/" + r.Scope.Trailer + "/couplingToAxle",
			Says: said.Say("the distance from {coupling} to axle"), Where: said.Say("Tape it again.")}}
		return true
	}
	return false
}

// ways are what an arrangement may be good at.
var ways = []struct {
	kind string
	own  stow.Own
}{{"calm", stow.Yaw}, {"even", stow.Yaw}, {"near", stow.Moves}}

// search looks for each kind of arrangement, with the loads stacked as they are now.
func (a *Arranged) search(t *task, stop func() bool, progress func(places int)) {
	tell := func(n int) {
		if progress != nil {
			progress(a.Places + n)
		}
	}
	for _, way := range ways {
		if stop() {
			return
		}
		problem := t.problem(way.kind, way.own)
		budget := otherPlaces
		if way.kind == "calm" {
			budget = calmPlaces
		}
		if len(t.boxes) > stow.Exact {
			budget = manyPlaces
		}
		found := problem.Search(budget, stop, tell)
		a.Places += found.Nodes
		if found.Places == nil && way.kind != "calm" {
			continue
		}
		if found.Places == nil && t.sure && !stop() { // then at least by the stated weights
			t.sure = false
			problem = t.problem(way.kind, way.own)
			found = problem.Search(budget, stop, tell)
			a.Places += found.Nodes
		}
		if found.Places == nil {
			a.Outcome, a.Says = finding.Fails, t.impossible(found)
			return // none at all: the other ways do not ask for less
		}
		a.Grid = max(a.Grid, found.Grid)
		a.add(t, way.kind, &problem, found)
	}
}

// conclude says what was found.
func (a *Arranged) conclude(t *task, stopped bool) {
	if len(a.Options) == 0 {
		if stopped {
			a.Outcome, a.Says = finding.Unknown, said.Say("Stopped before anything was found.")
		}
		return
	}
	a.Outcome = a.Options[0].Outcome
	loads := said.Counted(a.Loads, "load", "loads")
	a.Says = said.Say("% placed on a % grid.", loads, said.Length(arrangeGrid))
	if a.Grid > arrangeGrid {
		a.Says = said.Say("% placed on a % grid, small ones on %.", loads, said.Length(arrangeGrid), said.Length(a.Grid))
	}
	if n := len(t.stacked); n > 0 {
		a.Says = append(a.Says, said.Say(" The floor does not hold all of it: % stacked on another.", said.Count(n))...)
	}
}

// task is an outing's loads on a deck, ready to be stowed.
type task struct {
	q       review.Request
	plan    *plan.Plan
	r       *rig.Rig
	own     plan.Layout // as the plan has it, before loads without a place were laid
	boxes   []freight
	blocks  []stow.Block
	fixed   float64 // Σ m·x of all that stays, about the deck's front
	side    float64 // and Σ m·y
	low     float64 // bounds of the whole moment about the deck's front
	high    float64
	sides   float64 // bound of the moment to one side, wherever the axle's load lies
	wheel   float64 // what one side's wheels may bear, kg
	front   float64
	sure    bool // the window is to hold whatever the guesses
	stacked []stacked
	lays    []finding.Op
	before  *review.Report
}

// freight is a load that may be placed, with all that rides on it.
type freight struct {
	item int
	box  stow.Box
}

// stacked is a load put on another.
type stacked struct{ item, on int }

// newTask takes the loads from a rig; without a task the sentence says why.
func newTask(p *plan.Plan, q review.Request, own plan.Layout) (*task, said.Sentence) {
	r := rig.Resolve(p, q.Trailer, q.Outing)
	if r == nil || r.Layout == nil || len(r.Layout.Placements) == 0 {
		return nil, said.Say("Nothing to place: add the outing's loads first.")
	}
	if r.Bears == nil {
		return nil, said.Say("The {ball load} is not known yet: see what to weigh or find next.")
	}
	rep := review.Again(p, q)
	low, high, ok := rep.MomentRoom(r, false)
	if !ok {
		return nil, said.Say(
			"No {ball load} fits: the lowest limit is below the window. No arrangement fixes that.",
		)
	}
	t := &task{q: q, plan: p, r: r, own: own, front: r.DeckFront.Nominal, sides: math.Inf(1), wheel: math.Inf(1)}
	whole, side := 0.0, 0.0
	for i := range r.Beam.Terms {
		b := &r.Beam.Terms[i]
		whole += b.Amount.Nominal * (b.OnAxle.Nominal*r.Axle.Nominal + b.Arm.Nominal - b.InMass*t.front)
		side += b.Amount.Nominal * b.Side.Nominal
	}
	t.low, t.high = whole+low, whole+high
	t.fixed, t.side = whole, side
	if t.low > t.high {
		return nil, said.Say(
			"No {ball load} keeps every rating: there is % too little room. Carry less.",
			said.Mass((low-high)/r.Axle.Nominal),
		)
	}
	for i := range rep.Chain {
		l := &rep.Chain[i]
		if l.Reads == norms.ReadsSide && l.Limit != nil && r.Beam.Track > 0 {
			// A wheel bears R_axle/2 ± S/t: most room is where the axle bears least.
			axle := r.Bears.OnAxle.Nominal + low/r.Axle.Nominal
			most := l.Limit.Value / l.Part // of all on that side
			t.sides = min(t.sides, max(0, r.Beam.Track*(most-axle/2)))
			t.wheel = min(t.wheel, most)
		}
	}
	roots := rootsOf(r)
	deck := r.DeckHeight()
	for i := range r.Items {
		it := &r.Items[i]
		if roots[i] != i {
			continue
		}
		if it.Part || it.Pinned || it.Mass == nil {
			if !it.Open {
				t.blocks = append(
					t.blocks,
					stow.Block{
						Front: it.Front - t.front,
						Rear:  it.Rear - t.front,
						Left:  it.Left,
						Right: it.Right,
						Under: max(0, it.Bottom-deck),
					},
				)
			}
			for k := range r.Items { // what rides on it keeps its room above
				if o := &r.Items[k]; k != i && roots[k] == i && !o.Open {
					t.blocks = append(
						t.blocks,
						stow.Block{
							Front: o.Front - t.front,
							Rear:  o.Rear - t.front,
							Left:  o.Left,
							Right: o.Right,
							Under: max(0, o.Bottom-deck),
						},
					)
				}
			}
			continue
		}
		t.boxes = append(t.boxes, t.freight(i, roots))
	}
	if len(t.boxes) == 0 {
		return nil, said.Say("Nothing to place: every load is pinned or rides on something.")
	}
	if len(t.boxes) > maxArranged {
		return nil, said.Say("More than % loads at once: pin some, or load them as packs.", said.Count(maxArranged))
	}
	for i := range t.boxes {
		b := &t.boxes[i].box
		t.fixed -= b.Mass * (b.Was.Back + b.CentreBack)
		t.side -= b.Mass * (b.Was.Right + b.CentreRight)
	}
	mid := (t.low + t.high) / 2
	t.sure = t.holdsSure(mid)
	return t, nil
}

// rootsOf gives for each item the one on the deck that carries it.
func rootsOf(r *rig.Rig) []int {
	at := map[string]int{}
	for i := range r.Items {
		at[r.Items[i].PlacePath] = i
		if r.Items[i].Part {
			at["part "+r.Items[i].ID] = i
		} else {
			at["load "+r.Items[i].ID] = i
		}
	}
	roots := make([]int, len(r.Items))
	for i := range r.Items {
		k := i
		for range r.Items {
			it := &r.Items[k]
			if it.Part {
				break
			}
			pl := r.Layout.Placements[it.ID]
			key := "load " + pl.ID
			if pl.On == plan.OnPart {
				key = "part " + pl.ID
			}
			next, ok := at[key]
			if pl.On == plan.OnDeck || !ok {
				break
			}
			k = next
		}
		roots[i] = k
	}
	return roots
}

// freight is the box of an item as it stands now, with what rides on it.
func (t *task) freight(i int, roots []int) freight {
	it := &t.r.Items[i]
	b := stow.Box{
		Length: it.Length(),
		Width:  it.Right - it.Left,
		Height: it.Top - it.Bottom,
		Was:    &stow.Place{Back: it.Front - t.front, Right: (it.Left + it.Right) / 2},
	}
	rides := false
	x, y := 0.0, 0.0
	for k := range t.r.Items {
		o := &t.r.Items[k]
		if roots[k] != i || o.Mass == nil {
			continue
		}
		rides = rides || k != i
		b.Mass += o.Mass.Nominal
		x += o.Mass.Nominal * (o.X - it.Front)
		y += o.Mass.Nominal * (o.Y - b.Was.Right)
		b.Height = max(b.Height, o.Top-it.Bottom)
	}
	b.CentreBack, b.CentreRight = b.Length/2, 0
	if b.Mass > 0 {
		b.CentreBack, b.CentreRight = x/b.Mass, y/b.Mass
	}
	b.Turns = t.turns(it, &b, rides)
	if it.Shape == "hull" && b.Length >= b.Width { // hulls lie beside each other on their keels
		b.Beside = max(0, (clearance.RoadWidth(t.r)-t.r.DeckWidth())/2)
	}
	return freight{i, b}
}

// turns are how a thing may be turned from how it stands: a box any way, what
// rolls or floats end for end, a heap, a hull across and a stack not at all.
func (t *task) turns(it *rig.Item, b *stow.Box, rides bool) []int {
	if rides || it.Shape == "heap" {
		return []int{0}
	}
	uneven := math.Abs(b.CentreBack-b.Length/2) > 0.005 || math.Abs(b.CentreRight) > 0.005
	turns := []int{0}
	if it.Shape == "box" {
		turns = append(turns, 90)
	}
	if uneven {
		turns = append(turns, 180)
		if it.Shape == "box" {
			turns = append(turns, 270)
		}
	}
	return turns
}

// problem asks for one kind of arrangement.
func (t *task) problem(kind string, own stow.Own) stow.Problem {
	r := t.r
	m, l := r.Bears.Mass.Nominal, r.Axle.Nominal
	aim := (t.low + t.high) / 2
	ahead := max(0, t.front-carReserve)
	behind := usualBehind
	if marks := norms.RoadOf(r.Plan.Region).RearMarks; len(marks) > 0 {
		behind = float64(marks[0].Over)
	}
	p := stow.Problem{
		Length: r.DeckLength(), Width: r.DeckWidth(), Ahead: ahead, Behind: behind, Grid: arrangeGrid, Blocks: t.blocks,
		Moment: t.fixed, Side: t.side, Low: t.low, High: t.high, Aim: aim, MostSide: t.sides, Own: own,
		Centre: aim / m,
	}
	for i := range t.boxes {
		p.Boxes = append(p.Boxes, t.boxes[i].box)
	}
	_, piled := sway.Spread(r)
	cargo := 0.0
	for i := range t.boxes {
		cargo += t.boxes[i].box.Mass
	}
	p.Steps = stow.Steps{Own: inertiaSteps * piled, Side: sideSteps * m, Along: alongSteps * m * l}
	switch kind {
	case "even":
		p.Steps = stow.Steps{Side: sideSteps * m / 4, Along: alongSteps * m * l / 4}
	case "near":
		p.Steps = stow.Steps{Own: 0.02 * cargo, Side: sideSteps * m}
	}
	if t.sure || !math.IsInf(t.wheel, 1) {
		p.Accept = func(places []stow.Place) bool {
			r := t.at(places)
			if r.Bears == nil ||
				r.Bears.Left != nil && max(r.Bears.Left.Nominal, r.Bears.Right.Nominal) > t.wheel*(1+1e-9) {
				return false
			}
			low, high := balance.Margins(r, t.sure)
			return low >= -1e-9 && high >= -1e-9
		}
	}
	return p
}

// at is the rig with the boxes at places.
func (t *task) at(places []stow.Place) *rig.Rig {
	return rig.Resolve(withLayout(t.plan, t.q.Trailer, t.q.Outing, t.layout(places)), t.q.Trailer, t.q.Outing)
}

// holdsSure reports whether the window can hold whatever the guesses, with the
// whole moment where it is wanted.
func (t *task) holdsSure(moment float64) bool {
	d := (moment - t.fixed - t.moved()) / t.r.Axle.Nominal // what comes off the ball
	b := t.r.Bears
	m := b.Mass.Nominal
	low := (b.Share.Low - d/m) - t.r.School.Low
	high := t.r.School.High - (b.Share.High - d/m)
	for _, c := range balance.BallLimits(t.r) {
		high = min(high, (c.Limit-(b.Ball.High-d))/m)
	}
	if t.r.School.Floor > 0 {
		low = max(low, (b.Ball.Low-d-float64(t.r.School.Floor))/m)
	}
	return low > 0 && high > 0
}

// moved is the boxes' moment as they stand now.
func (t *task) moved() float64 {
	sum := 0.0
	for i := range t.boxes {
		b := &t.boxes[i].box
		sum += b.Mass * (b.Was.Back + b.CentreBack)
	}
	return sum
}

// layout is the outing's layout with the boxes at places.
func (t *task) layout(places []stow.Place) plan.Layout {
	l := *t.r.Layout
	l.Placements = map[string]plan.Placement{}
	for id, pl := range t.r.Layout.Placements {
		l.Placements[id] = pl
	}
	tidy := func(v float64) quantity.Length { return quantity.Length(math.Round(v*1e4)/1e4 + 0) } // no negative zero
	for i, place := range places {
		it := &t.r.Items[t.boxes[i].item]
		pl := l.Placements[it.ID]
		pl.Turn = (pl.Turn + place.Turn) % 360
		pl.At = plan.Spot{Back: tidy(place.Back), Right: tidy(place.Right), Up: pl.At.Up}
		l.Placements[it.ID] = pl
	}
	for _, s := range t.stacked {
		it, on := &t.r.Items[s.item], &t.r.Items[s.on]
		pl := l.Placements[it.ID]
		pl.On, pl.ID, pl.Slot = plan.OnLoad, on.ID, ""
		pl.At = plan.Spot{Back: tidy((on.Length() - it.Length()) / 2)}
		l.Placements[it.ID] = pl
	}
	return l
}

// misfits says which load fits the deck in no way, and by how much.
func (t *task) misfits() said.Sentence {
	p := t.problem("calm", stow.Yaw)
	for i := range t.boxes {
		name := said.Name(t.r.Items[t.boxes[i].item].Name, "one load")
		switch narrow, short := p.Misfit(i); {
		case narrow > 1e-9:
			return said.Say(
				"% is % wider than the deck, however it is turned. Put it on a rack, or use a wider deck.",
				name,
				said.Length(narrow),
			)
		case short > 1e-9:
			return said.Say(
				"% is % longer than the deck and the overhang allowed. Carry it on a rack, or use a longer deck.",
				name,
				said.Length(short),
			)
		}
	}
	return nil
}

// impossible says which constraint no arrangement keeps, and by how much.
func (t *task) impossible(found stow.Result) said.Sentence {
	p := t.problem("calm", stow.Yaw)
	l := t.r.Axle.Nominal
	least, most := p.Reach()
	ball := func(moment float64) float64 { return t.r.Bears.Ball.Nominal + (t.fixed+t.moved()-moment)/l }
	switch {
	case p.Shut() >= 0:
		return said.Say(
			"No room is left for % beside what is pinned or fixed. Unpin something.",
			said.Name(t.r.Items[t.boxes[p.Shut()].item].Name, "a load"),
		)
	case least > t.high:
		return said.Say(
			"With everything as far forward as the deck allows, the ball carries %: % below its window. The axle is too far forward, or carry ballast.",
			said.Mass(ball(least)),
			said.Mass(ball(t.high)-ball(least)),
		)
	case most < t.low:
		return said.Say(
			"With everything as far back as the deck allows, the ball carries %: % above its window. The axle is too far back.",
			said.Mass(ball(most)),
			said.Mass(ball(most)-ball(t.low)),
		)
	case t.covers() > 1:
		return said.Say(
			"The loads cover % of the deck. Leave something behind, stack it or go twice.",
			said.Share(t.covers()),
		)
	case found.Proven:
		return said.Say(
			"No arrangement on a % grid without overlap brings the ball into its window and keeps every rating. Leave something behind, or stack it.",
			said.Length(max(arrangeGrid, found.Grid)),
		)
	}
	return said.Say(
		"None found in % positions, which does not prove that there is none. Pin some loads, or leave something behind.",
		said.Count(found.Nodes),
	)
}

// covers is how much of the deck the loads cover; a load longer than the deck
// counts with the deck's length, one that may reach beyond its sides with its share of it.
func (t *task) covers() float64 {
	area := 0.0
	for i := range t.boxes {
		b := &t.boxes[i].box
		area += min(b.Length, t.r.DeckLength()) * b.Width / (1 + 2*b.Beside/t.r.DeckWidth())
	}
	return area / (t.r.DeckLength() * t.r.DeckWidth())
}

// stack puts the lightest box that fits on a heavier one there. False where no
// box may be stacked.
func (t *task) stack() bool {
	best, on := -1, -1
	for i := range t.boxes {
		it := &t.r.Items[t.boxes[i].item]
		if it.Shape != "box" || it.Lot != nil || len(t.boxes[i].box.Turns) == 1 ||
			best >= 0 && t.boxes[i].box.Mass >= t.boxes[best].box.Mass {
			continue
		}
		for k := range t.boxes {
			b, o := &t.boxes[i].box, &t.boxes[k].box
			if k != i && t.r.Items[t.boxes[k].item].Shape == "box" && o.Mass > b.Mass &&
				b.Length <= o.Length+1e-9 &&
				b.Width <= o.Width+1e-9 &&
				!t.carries(t.boxes[k].item) {
				best, on = i, k
				break
			}
		}
	}
	if best < 0 {
		return false
	}
	b, o := t.boxes[best].box, &t.boxes[on].box
	m := o.Mass + b.Mass
	o.CentreBack = (o.Mass*o.CentreBack + b.Mass*((o.Length-b.Length)/2+b.CentreBack)) / m
	o.CentreRight = (o.Mass*o.CentreRight + b.Mass*b.CentreRight) / m
	o.Mass, o.Height, o.Turns = m, o.Height+b.Height, []int{0}
	t.stacked = append(t.stacked, stacked{t.boxes[best].item, t.boxes[on].item})
	t.boxes = slices.Delete(t.boxes, best, best+1)
	return true
}

func (t *task) carries(item int) bool {
	return slices.ContainsFunc(t.stacked, func(s stacked) bool { return s.on == item })
}

// add judges an arrangement and keeps it where it differs from the others.
func (a *Arranged) add(t *task, kind string, p *stow.Problem, found stow.Result) {
	next := t.layout(found.Places)
	v := finding.Variant{Patch: append([]finding.Op{}, t.lays...)}
	base := "/outings/" + t.q.Outing + "/layouts/" + t.q.Trailer + "/placements/"
	for _, id := range plan.Ordered(next.Placements, func(plan.Placement) int { return 0 }) {
		was, pl := t.r.Layout.Placements[id], next.Placements[id]
		if was == pl {
			continue
		}
		if len(t.lays) == 0 {
			v.Patch = append(
				v.Patch,
				finding.Op{Op: "test", Path: base + id + "/at/back", Value: float64(was.At.Back)},
			)
		}
		v.Patch = append(v.Patch, finding.Op{Op: "replace", Path: base + id, Value: pl})
	}
	patched, err := plan.Apply(t.source(), v.Patch)
	if err != nil {
		return
	}
	rep, comes := placed(patched, t.q)
	o := Arrangement{
		Variant: v,
		Kind:    kind,
		Proven:  found.Proven,
		Outcome: comes,
		Figures: traded(t, rep, patched),
	}
	for i := range a.Options {
		if samePlaces(&a.Options[i], &o) {
			return
		}
	}
	o.Name = said.Say(
		map[string]string{"calm": "arrange: weight close to the middle", "even": "arrange: {ball load} and wheels as even as can be", "near": "arrange: with the least shifting"}[kind],
	)
	switch {
	case kind == "near":
		o.Says = said.Say("No load moves farther than %.", said.Length(farthest(t, next)))
	case kind == "even":
		o.Says = said.Say("{Ball load} in the middle of what is allowed, wheels even.")
	case found.Proven:
		o.Says = said.Say(
			"Weight close to the middle, so it swings least. Proven: none on the grid is better.",
		)
	default:
		o.Says = said.Say("Weight close to the middle. Not proven: another may swing less by % of it at most.",
			said.Share(float64(found.Cost-found.Bound+1)/math.Max(1, float64(found.Cost+1))))
	}
	a.Options = append(a.Options, o)
}

// source is the plan that the patch of an arrangement applies to.
func (t *task) source() *plan.Plan {
	if len(t.lays) == 0 {
		return t.plan
	}
	return withLayout(t.plan, t.q.Trailer, t.q.Outing, t.own)
}

// placedOutcome is the worst of the checks on which places bear; of what is not known yet what is essential counts,
// and all of the kinds of checks that are named by the beginning of their codes, which count too.
func placedOutcome(rep *review.Report, kinds ...string) finding.Outcome {
	out := finding.Holds
	for i := range rep.Findings {
		f := &rep.Findings[i]
		if !f.Compares && slices.ContainsFunc(kinds, func(k string) bool { return strings.HasPrefix(f.Code, k) }) {
			out = finding.Worse(out, f.Outcome)
		}
		if f.Stage == "balance" && !f.Compares ||
			strings.HasPrefix(f.Code, "towing.link.") && f.Essential && f.Outcome == finding.Fails {
			if f.Outcome != finding.Unknown || f.Essential {
				out = finding.Worse(out, f.Outcome)
			}
		}
	}
	return out
}

func samePlaces(a, b *Arrangement) bool {
	return slices.EqualFunc(a.Patch, b.Patch, func(x, y finding.Op) bool {
		if x.Op != y.Op || x.Path != y.Path {
			return false
		}
		p, ok := x.Value.(plan.Placement)
		o, also := y.Value.(plan.Placement)
		if !ok || !also {
			return true
		}
		return p.Turn == o.Turn && math.Abs(float64(p.At.Back-o.At.Back)) < arrangeGrid &&
			math.Abs(float64(p.At.Right-o.At.Right)) < arrangeGrid
	})
}

// farthest is how far the load that is moved most is moved, m.
func farthest(t *task, next plan.Layout) float64 {
	shift := 0.0
	for id, pl := range next.Placements {
		if o, ok := t.own.Placements[id]; ok && o.On == pl.On {
			shift = max(shift, math.Hypot(float64(pl.At.Back-o.At.Back), float64(pl.At.Right-o.At.Right)))
		}
	}
	return shift
}

// traded are the figures by which arrangements differ.
func traded(t *task, rep *review.Report, patched *plan.Plan) []Traded {
	then := rig.Resolve(patched, t.q.Trailer, t.q.Outing)
	was := t.before
	out := []Traded{
		{said.Say("{Ball load}"), was.Figures.Ball, rep.Figures.Ball},
		{said.Say("Share on the ball"), was.Figures.Share, rep.Figures.Share},
	}
	apart := func(r *review.Report) *finding.Measure {
		if r.Figures.Left == nil || r.Figures.Right == nil {
			return nil
		}
		return finding.Exactly(quantity.KindMass, math.Abs(r.Figures.Left.Value-r.Figures.Right.Value))
	}
	out = append(out, Traded{said.Say("Wheels differ by"), apart(was), apart(rep)})
	damping := func(r *rig.Rig) *finding.Measure {
		if r == nil {
			return nil
		}
		if z, ok := sway.Damping(r, sway.SpeedOf(r)); ok {
			return finding.Exactly(quantity.KindShare, z)
		}
		return nil
	}
	out = append(
		out,
		Traded{
			said.Say("Damping of snaking"),
			damping(rig.Resolve(t.source(), t.q.Trailer, t.q.Outing)),
			damping(then),
		},
	)
	weakest := func(r *review.Report) *finding.Measure {
		best := math.Inf(1)
		for i := range r.Chain {
			if used := r.Chain[i].Share; used != nil {
				best = min(best, 1-used.Value)
			}
		}
		if math.IsInf(best, 0) {
			return nil
		}
		return finding.Exactly(quantity.KindShare, best)
	}
	out = append(out, Traded{said.Say("Weakest link has left"), weakest(was), weakest(rep)})
	out = append(
		out,
		Traded{said.Say("Farthest shift"), nil, finding.Exactly(quantity.KindLength, farthest(t, *then.Layout))},
	)
	return slices.DeleteFunc(out, func(x Traded) bool { return cmp.Or(x.Was, x.Then) == nil })
}
