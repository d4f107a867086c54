package study

import (
	"cmp"
	"context"
	"fmt"
	"maps"
	"math"
	"slices"

	"zygonos/core/ask/clearance"
	"zygonos/core/ask/rack"
	"zygonos/core/ask/stance"
	"zygonos/core/ask/sway"
	"zygonos/core/facts/catalogue"
	"zygonos/core/facts/norms"
	"zygonos/core/lang/finding"
	"zygonos/core/lang/quantity"
	"zygonos/core/lang/said"
	"zygonos/core/parts"
	"zygonos/core/plan"
	"zygonos/core/review"
	"zygonos/core/rig"
	"zygonos/core/sums/section"
)

// RackPlans are layouts of a rack for an outing's hulls: docs/method/rack.md.
type RackPlans struct {
	Lacks
	Options []RackPlan    `json:"options"`
	Says    said.Sentence `json:"says"`
	Hulls   int           `json:"hulls"`
}

// RackPlan is one layout, judged.
type RackPlan struct {
	finding.Variant
	Kind    string          `json:"kind"` // wide, tall, deck, edge, kept
	Outcome finding.Outcome `json:"outcome"`
	Says    said.Sentence   `json:"says"`
	Home    []string        `json:"home"` // names of hulls that find no place
	Figures []Traded        `json:"figures"`
}

// Figures of practice for a rack (confidence C), m.
const (
	slotGap    = 0.10 // padding and clearance beside a hull
	tierGap    = 0.15 // padding and hand room over a hull
	firstTier  = 0.15 // of bars over a flat deck
	topMost    = 2.6  // of the whole load above the ground
	frameShare = 0.5  // frames' distance of the longest hull's length …
	reachShare = 0.8  // … and at most of the shortest's
	frameEnd   = 0.1  // of a frame within a hull's end
	barOver    = 0.05 // bar beyond the outer hull
	postGap    = 0.02 // between a hull and a post
	postRoom   = 0.12 // of a post beside a lower tier, with the bar beyond it
	edgeMost   = 40.0 // kg that is turned on edge
	mostRacks  = 4    // ways shown
)

// hullLoad is a hull to be laid.
type hullLoad struct {
	id                          string
	name                        string
	length, width, height, mass float64
	centre                      float64 // behind its bow
	lean                        float64 // rad; zero lies on its keel
}

// onEdge is the hull leaning over by a right angle less a little: docs/method/rack.md.
func (h hullLoad) onEdge() hullLoad {
	c, s := math.Cos(plan.EdgeLean), math.Sin(plan.EdgeLean)
	h.width, h.height, h.lean = h.width*c+h.height*s, h.width*s+h.height*c, plan.EdgeLean
	return h
}

// laid is a hull in its place: tier and middle.
type laid struct {
	hull  *hullLoad
	tier  int
	right float64
}

// PlanRacks lays an outing's hulls on racks in up to three ways: wide and low,
// narrow and tall, and with the heaviest low on the deck. Heaviest lowest; slots as
// wide as the hull and a gap; each way is a patch, judged whole.
func PlanRacks(ctx context.Context, p *plan.Plan, q review.Request) *RackPlans {
	review.Ready(p)
	out := &RackPlans{Options: []RackPlan{}}
	before := review.Review(p, q)
	q = review.Request{Outing: before.Scope.Outing, Trailer: before.Scope.Trailer}
	r := rig.Resolve(p, q.Trailer, q.Outing)
	if r == nil || r.Layout == nil {
		out.Says = said.Say("Nothing to carry yet: add an outing and its hulls first.")
		return out
	}
	hulls := hullsOf(r)
	out.Hulls = len(hulls)
	if len(hulls) == 0 {
		out.Says = said.Say("No hulls in this outing: add boats first.")
		return out
	}
	out.Lacks = deckLacks(r)
	if len(out.Needs) > 0 {
		out.Says = out.sum()
		return out
	}
	defer func() { out.Says = out.roughly(out.Says) }()
	rules := norms.RoadOf(p.Region)
	legal := float64(rules.Width)
	edge := make([]hullLoad, len(hulls)) // what one person turns over, and what is too wide to lie
	turned := false
	for i := range hulls {
		edge[i] = hulls[i]
		if on := hulls[i].onEdge(); hulls[i].mass <= edgeMost && on.width < hulls[i].width {
			edge[i], turned = on, true
		}
		if hulls[i].width <= legal {
			continue
		}
		if edge[i].lean == 0 || edge[i].width > legal {
			out.Says = said.Say(
				"% is % wide and % is allowed; on edge it is no easier.",
				said.Name(hulls[i].name, "A hull"),
				said.Length(hulls[i].width),
				said.Length(legal),
			)
			return out
		}
		hulls[i] = edge[i]
	}
	body := r.DeckWidth()
	if b := clearance.BodyWidth(r); b != nil {
		body = *b
	}
	under := underRacks(r, hulls)
	wide := clearance.RoadWidth(r)
	within := max(body, hulls[0].width+2*barOver)
	for _, way := range []struct {
		kind  string
		width float64
		hulls []hullLoad
	}{{"wide", wide, hulls}, {"tall", within, hulls}, {"deck", within, hulls}, {"edge", within, edge}} {
		if over(ctx) {
			break
		}
		deck := way.kind == "deck"
		if deck && (len(hulls) == 1 || under > 0) || way.kind == "edge" && !turned {
			continue
		}
		places, tops, home := layHulls(way.hulls, way.width, r.DeckHeight(), under, deck)
		if len(places) == 0 {
			continue
		}
		v, ok := rackVariant(r, way.kind, places, tops, home)
		if !ok {
			continue
		}
		out.judge(p, q, before, way.kind, v, len(places), home)
	}
	for _, id := range plan.Ordered(p.Parts, func(t plan.Part) int { return t.Order }) {
		if v, n, home := keptVariant(r, id, hulls); n > 0 {
			out.judge(p, q, before, "kept", v, n, home)
		}
	}
	slices.SortStableFunc(out.Options, func(a, b RackPlan) int {
		return cmp.Or(
			cmp.Compare(len(a.Home), len(b.Home)),
			cmp.Compare(b.Outcome.Rank(), a.Outcome.Rank()),
			cmp.Compare(changes(&a), changes(&b)),
		)
	})
	if len(out.Options) == 0 && over(ctx) {
		out.Says = notLooked
		return out
	}
	if len(out.Options) == 0 {
		out.Says = said.Say("No rack below % carries them. Take fewer hulls, or go twice.", said.Length(topMost))
		return out
	}
	out.Options = out.Options[:min(len(out.Options), mostRacks)]
	out.Says = said.Say(
		"%, % to carry them.",
		said.Counted(len(hulls), "hull", "hulls"),
		said.Counted(len(out.Options), "way", "ways"),
	)
	return out
}

// changes counts what a layout asks for beside laying hulls on: nothing for a rack that
// there is.
func changes(p *RackPlan) int {
	if p.Kind == "kept" {
		return 0
	}
	return 1
}

// hullsOf are the outing's hulls, heaviest first.
func hullsOf(r *rig.Rig) []hullLoad {
	var out []hullLoad
	for i := range r.Items {
		it := &r.Items[i]
		if it.Part || it.Shape != "hull" || it.Mass == nil || it.Pinned {
			continue
		}
		body := r.Moves(i)
		h := hullLoad{
			id:     it.ID,
			name:   it.Name,
			length: it.Length(),
			width:  it.Right - it.Left,
			height: it.Top - it.Bottom,
			mass:   body.Mass,
			centre: body.X - it.Front,
		}
		if pl := r.Layout.Placements[it.ID]; pl.Turn == 90 || pl.Turn == 270 {
			continue
		} else if pl.Turn == 180 {
			h.centre = h.length - h.centre
		}
		out = append(out, h)
	}
	slices.SortStableFunc(out, func(a, b hullLoad) int {
		return cmp.Or(cmp.Compare(b.mass, a.mass), cmp.Compare(b.width, a.width), cmp.Compare(a.id, b.id))
	})
	return out
}

// underRacks is how high what stays on the deck beside the hulls stands over it, m.
func underRacks(r *rig.Rig, hulls []hullLoad) float64 {
	high := 0.0
	for i := range r.Items {
		it := &r.Items[i]
		hull := slices.ContainsFunc(hulls, func(h hullLoad) bool { return h.id == it.ID })
		if !it.Open && (it.Part || !hull) {
			high = max(high, it.Top-r.DeckHeight())
		}
	}
	return high
}

// onDeck is the tier of a hull that lies on the deck itself.
const onDeck = -1

// layHulls fills tiers from the lowest, heaviest first, each tier within the width;
// with deck the heaviest lies on the deck itself. Where one tier does not take all,
// posts stand outside of the lower ones, which must be so much narrower. tops are the
// bars' heights above the deck, the lowest over what else stands on it (under); what
// would reach too high stays at home.
func layHulls(
	hulls []hullLoad,
	width, deckHeight, under float64,
	deck bool,
) (places []laid, tops []float64, home []hullLoad) {
	up := firstTier
	if under > 0 {
		up = max(up, under+tierGap)
	}
	all := -slotGap
	for i := range hulls {
		all += hulls[i].width + slotGap
	}
	rest := hulls
	if deck {
		places, rest = append(places, laid{&hulls[0], onDeck, 0}), hulls[1:]
		up = hulls[0].height + tierGap
	}
	if all > width {
		width -= 2 * postRoom
	}
	for len(rest) > 0 {
		var row []*hullLoad
		var over []hullLoad
		taken, high := 0.0, 0.0
		for i := range rest {
			h := &rest[i]
			need := h.width
			if len(row) > 0 {
				need += slotGap
			}
			if taken+need > width+1e-9 || deckHeight+up+h.height > topMost {
				over = append(over, *h)
				continue
			}
			row, taken, high = append(row, h), taken+need, max(high, h.height)
		}
		if len(row) == 0 {
			return places, tops, over
		}
		// Alike on both sides of the middle as far as it goes: heaviest in the middle of three.
		if len(row) == 3 {
			row[0], row[1] = row[1], row[0]
		}
		at := -taken / 2
		for i, h := range row {
			if i > 0 {
				at += slotGap
			}
			places = append(places, laid{h, len(tops), at + h.width/2})
			at += h.width
		}
		tops = append(tops, up)
		up += high + tierGap
		rest = over
	}
	return places, tops, home
}

// rackVariant builds the part and the layout that carries the hulls: frames half the
// longest hull's length apart, each hull's centre over their middle, all slid so
// that the ball bears what it should.
func rackVariant(r *rig.Rig, kind string, places []laid, tops []float64, home []hullLoad) (finding.Variant, bool) {
	longest, shortest := 0.0, math.Inf(1)
	for _, l := range places {
		if longest = max(longest, l.hull.length); l.tier != onDeck {
			shortest = min(shortest, reachShare*l.hull.length)
			for _, end := range []float64{l.hull.centre, l.hull.length - l.hull.centre} { // to either side of the middle
				shortest = min(shortest, 2*(end-frameEnd))
			}
		}
	}
	spacing := math.Floor(min(frameShare*longest, shortest, r.DeckLength()-0.1)*100+1e-9) / 100
	if spacing <= 0.3 {
		return finding.Variant{}, false
	}
	tube := plan.Profile{Shape: "tube", Height: 0.05, Width: 0.05, Wall: 0.003, Material: "s235"}
	rk := &plan.Rack{
		FrontAt: 0.05,
		RearAt:  quantity.Length(0.05 + spacing),
		Posts:   2,
		Foot:    plan.FootPocket,
		Post:    tube,
		Bar:     tube,
		Tiers:   map[string]plan.Tier{},
	}
	// Posts stand outside of all that lies under the highest tier.
	apart := r.DeckWidth() - 0.1
	for _, l := range places {
		if l.tier < len(tops)-1 {
			apart = max(apart, 2*(math.Abs(l.right)+l.hull.width/2+postGap)+float64(tube.Width))
		}
	}
	rk.Apart = quantity.Length(math.Ceil(apart*100-1e-9) / 100)
	part := plan.Part{
		Order: 100,
		Name:  map[string]string{"wide": "Rack, wide and low", "tall": "Rack, narrow and tall", "deck": "Rack over the deck", "edge": "Rack, hulls on edge"}[kind],
		Kind:  "rack",
		Undo:  "pins",
		Rack:  rk,
		Slots: map[string]plan.Slot{},
	}
	id := ""
	for n := 1; ; n++ {
		id = fmt.Sprintf("rack-%s-%d", kind, n)
		if _, taken := r.Plan.Parts[id]; !taken {
			break
		}
	}
	layout := relaid(r)
	middle := 0.05 + spacing/2
	for i, l := range places {
		if l.tier == onDeck {
			layout.Placements[l.hull.id] = plan.Placement{
				On:       plan.OnDeck,
				At:       plan.Spot{Back: quantity.Length(round10((r.DeckLength() - l.hull.length) / 2))},
				Optional: layout.Placements[l.hull.id].Optional,
			}
			continue
		}
		tier := fmt.Sprintf("tier-%d", l.tier+1)
		t := rk.Tiers[tier]
		t.Order, t.Up = l.tier+1, quantity.Length(math.Round(tops[l.tier]*1e3)/1e3)
		t.Length = max(
			t.Length,
			quantity.Length(round10(2*(math.Abs(l.right)+l.hull.width/2+barOver))),
			rk.Apart+0.1,
		)
		rk.Tiers[tier] = t
		slot := fmt.Sprintf("slot-%d", i+1)
		place := plan.Slot{Order: i + 1, Name: fmt.Sprintf("tier %d, place %d", l.tier+1, i+1), Tier: tier,
			At: plan.Spot{
				Back:  quantity.Length(round10(middle - l.hull.centre)),
				Right: quantity.Length(math.Round(l.right*1e3) / 1e3),
				Up:    t.Up,
			}}
		if l.hull.lean > 0 {
			place.Pose = plan.PoseEdge
		}
		part.Slots[slot] = place
		layout.Placements[l.hull.id] = plan.Placement{
			On:       plan.OnPart,
			ID:       id,
			Slot:     slot,
			Optional: layout.Placements[l.hull.id].Optional,
		}
	}
	for i := range home {
		delete(layout.Placements, home[i].id)
	}
	bareRacks(r, layout)
	untied := untie(r, layout)
	back := (r.DeckLength() - spacing - 0.1) / 2
	layout.Parts[id] = plan.PartOn{At: plan.Spot{Back: quantity.Length(round10(back))}}
	patch := []finding.Op{
		{Op: "add", Path: "/parts/" + id, Value: part},
		{Op: "replace", Path: r.LayoutPath(""), Value: layout},
	}
	slideRack(r, patch, &layout, id, back, spacing)
	return finding.Variant{Name: rackName(part.Name, untied), Patch: patch}, true
}

// rackName is a layout's name, with what it unties.
func rackName(name string, untied int) said.Sentence {
	out := said.Say("%", said.Name(name, "rack"))
	if untied > 0 {
		out = append(out, said.Say("; % straps of the hulls come off and must be planned again", said.Count(untied))...)
	}
	return out
}

// relaid is the outing's layout to be changed; all of it that no rack touches stays as it is.
func relaid(r *rig.Rig) plan.Layout {
	layout := *r.Layout
	layout.Parts, layout.Placements, layout.Lashings = maps.Clone(
		layout.Parts,
	), maps.Clone(
		layout.Placements,
	), maps.Clone(
		layout.Lashings,
	)
	if layout.Parts == nil {
		layout.Parts = map[string]plan.PartOn{}
	}
	return layout
}

// untie takes off the lashings of hulls that lie elsewhere now, as those ran to where they
// lay, and tells how many.
func untie(r *rig.Rig, layout plan.Layout) int {
	n := 0
	for id, x := range layout.Lashings {
		if was, is := r.Layout.Placements[x.Load], layout.Placements[x.Load]; was.On != is.On || was.ID != is.ID ||
			was.Slot != is.Slot ||
			was.At != is.At {
			delete(layout.Lashings, id)
			n++
		}
	}
	return n
}

// bareRacks takes off racks that carry nothing any more.
func bareRacks(r *rig.Rig, layout plan.Layout) {
	for old := range layout.Parts {
		if r.Plan.Parts[old].Slots == nil {
			continue
		}
		used := false
		for _, pl := range layout.Placements {
			used = used || pl.On == plan.OnPart && pl.ID == old
		}
		if !used {
			delete(layout.Parts, old)
		}
	}
}

// slideRack slides a rack along the deck so that the ball load comes to the middle of
// its window; the last of the patch holds the layout.
func slideRack(r *rig.Rig, patch []finding.Op, layout *plan.Layout, id string, back, spacing float64) {
	next, err := plan.Apply(r.Plan, patch)
	if err != nil {
		return
	}
	on := rig.Resolve(next, r.Scope.Trailer, r.Scope.Outing)
	if on == nil || on.Bears == nil {
		return
	}
	rep := review.Again(next, review.Request{Trailer: r.Scope.Trailer, Outing: r.Scope.Outing})
	carried := 0.0
	for i, it := range on.Items {
		if it.Part && it.ID == id {
			carried = on.Moves(i).Mass
		}
	}
	if w := rep.Figures.Window; w != nil && w.High > w.Low && carried > 0 {
		want := (on.Bears.Ball.Nominal - (w.Low+w.High)/2) * on.Axle.Nominal / carried
		back = min(max(back+want, 0), max(0, r.DeckLength()-spacing-0.1))
		layout.Parts[id] = plan.PartOn{At: plan.Spot{Back: quantity.Length(round10(back))}}
		patch[len(patch)-1].Value = *layout
	}
}

// keptVariant carries the hulls on a rack that the plan has already, as another outing
// uses it: heaviest lowest, each in the narrowest free place of a tier that takes it.
// n is how many find one.
func keptVariant(r *rig.Rig, id string, hulls []hullLoad) (v finding.Variant, n int, home []hullLoad) {
	part := r.Plan.Parts[id]
	if part.Rack == nil || len(part.Slots) == 0 {
		return v, 0, nil
	}
	layout := relaid(r)
	slots := plan.Ordered(part.Slots, func(s plan.Slot) int { return s.Order })
	slices.SortStableFunc(slots, func(a, b string) int {
		return cmp.Compare(part.Rack.Tiers[part.Slots[a].Tier].Up, part.Rack.Tiers[part.Slots[b].Tier].Up)
	})
	frames := parts.FramesAt(part.Rack)
	middle := (frames[0] + frames[len(frames)-1]) / 2
	for i := range hulls {
		h := hulls[i]
		if len(slots) == 0 {
			delete(layout.Placements, h.id)
			home = append(home, h)
			continue
		}
		slot := slots[0]
		slots = slots[1:]
		back := middle - h.centre - float64(part.Slots[slot].At.Back)
		layout.Placements[h.id] = plan.Placement{
			On:       plan.OnPart,
			ID:       id,
			Slot:     slot,
			At:       plan.Spot{Back: quantity.Length(round10(back))},
			Optional: layout.Placements[h.id].Optional,
		}
		n++
	}
	bareRacks(r, layout)
	untied := untie(r, layout)
	spacing := frames[len(frames)-1] - frames[0]
	back := (r.DeckLength() - spacing - 0.1) / 2
	if on, ok := r.Layout.Parts[id]; ok {
		back = float64(on.At.Back)
	}
	layout.Parts[id] = plan.PartOn{At: plan.Spot{Back: quantity.Length(round10(back))}}
	patch := []finding.Op{{Op: "replace", Path: r.LayoutPath(""), Value: layout}}
	slideRack(r, patch, &layout, id, back, spacing)
	return finding.Variant{Name: rackName(part.Name, untied), Patch: patch}, n, home
}

func (o *RackPlans) judge(
	p *plan.Plan,
	q review.Request,
	before *review.Report,
	kind string,
	v finding.Variant,
	carried int,
	home []hullLoad,
) {
	next, err := plan.Apply(p, v.Patch)
	if err != nil || len(plan.Clean(next)) > 0 {
		return
	}
	r, was := rig.Resolve(next, q.Trailer, q.Outing), rig.Resolve(p, q.Trailer, q.Outing)
	rep, comes := placed(next, q, "rack.")
	opt := RackPlan{Variant: v, Kind: kind, Home: []string{}, Outcome: comes}
	for i := range home {
		opt.Home = append(opt.Home, home[i].name)
	}
	for i := range rep.Findings {
		if f := &rep.Findings[i]; f.Outcome == finding.Fails &&
			(f.Code == rack.CodeRoom || f.Code == rack.CodeSupport) {
			return // it cannot be built so, or the hulls do not fit what there is
		}
	}
	if len(home) > 0 {
		opt.Says = said.Say(
			"% of % fit; % stay at home.",
			said.Count(carried),
			said.Count(o.Hulls),
			said.Count(len(home)),
		)
	} else {
		opt.Says = said.Say(map[string]string{"wide": "Lowest, but broad.", "tall": "Within the {mudguard}s, but high.", "deck": "Heaviest hull low, the others over it.", "edge": "On edge in cradles: narrow, but each is lifted and turned.", "kept": "The rack you have: nothing to cut."}[kind])
	}
	mass := func(r *rig.Rig) *finding.Measure {
		sum := 0.0
		for i := range r.Items {
			if part := r.Plan.Parts[r.Items[i].ID]; r.Items[i].Part && len(part.Slots) > 0 {
				if part = parts.Filled(part); part.Mass != nil {
					sum += float64(part.Mass.Value)
				}
			}
		}
		return finding.Exactly(quantity.KindMass, sum)
	}
	top := func(r *rig.Rig) *finding.Measure {
		h := 0.0
		for i := range r.Items {
			h = max(h, r.Items[i].Top)
		}
		return finding.Exactly(quantity.KindLength, h)
	}
	width := func(r *rig.Rig) *finding.Measure {
		if w := clearance.Measure(r).Width; w != nil {
			return finding.Exactly(quantity.KindLength, *w)
		}
		return nil
	}
	of := func(rep *review.Report, code string) *finding.Measure {
		for i := range rep.Findings {
			if rep.Findings[i].Code == code {
				return rep.Findings[i].Figure
			}
		}
		return nil
	}
	opt.Figures = []Traded{
		{said.Say("Racks weigh"), mass(was), mass(r)},
		{said.Say("Height over all"), top(was), top(r)},
		{said.Say("Width over all"), width(was), width(r)},
		{said.Say("Wheel lifts at a slope of"), of(before, stance.CodeSlope), of(rep, stance.CodeSlope)},
		{said.Say("{Ball load}"), before.Figures.Ball, rep.Figures.Ball},
		{said.Say("Damping of snaking"), of(before, sway.CodeDamping), of(rep, sway.CodeDamping)},
		{said.Say("Bars used, of what they may carry"), nil, share(rep, rack.CodeBar)},
		{said.Say("Stock costs"), stockCost(was), stockCost(r)},
		{said.Say("Turns before it touches"), of(before, clearance.CodeTurn), of(rep, clearance.CodeTurn)},
	}
	for i := range o.Options {
		if o.Options[i].same(&opt) {
			return
		}
	}
	o.Options = append(o.Options, opt)
}

// stockCost is what the stock of the racks that are on costs; nil where a price is not
// stated or no rack is on.
func stockCost(r *rig.Rig) *finding.Measure {
	built, _ := rack.Check(r)
	sum := 0.0
	for _, b := range built {
		if b.Cost == nil {
			return nil
		}
		sum += b.Cost.Value
	}
	if len(built) == 0 {
		return nil
	}
	return finding.Exactly(quantity.KindMoney, sum)
}

// share is a finding's figure over its limit.
func share(rep *review.Report, code string) *finding.Measure {
	for i := range rep.Findings {
		if f := &rep.Findings[i]; f.Code == code && f.Figure != nil && f.Limit != nil && f.Limit.Value > 0 {
			return finding.Exactly(quantity.KindShare, f.Figure.Value/f.Limit.Value)
		}
	}
	return nil
}

// same reports whether two layouts come to the same height and width.
func (a *RackPlan) same(b *RackPlan) bool {
	for _, i := range []int{1, 2} {
		x, y := a.Figures[i].Then, b.Figures[i].Then
		if x == nil || y == nil || math.Abs(x.Value-y.Value) > 0.01 {
			return false
		}
	}
	return true
}

// strongerBars are ways to mend bars that bend too far: the next section up, and a
// post in the middle.
func strongerBars(r *rig.Rig, path string) []finding.Way {
	part, ok := r.Plan.Parts[path[len("/parts/"):]]
	if !ok || part.Rack == nil {
		return nil
	}
	rk := part.Rack
	var out []finding.Way
	stock, _ := catalogue.StockOf(rk.Bar.Material)
	seen := 0
	for _, c := range catalogue.Commons {
		if c.Shape != rk.Bar.Shape || !c.Of(stock) ||
			c.Height*c.Height*max(c.Wall, 0.001) <= rk.Bar.Height*rk.Bar.Height*max(rk.Bar.Wall, 0.001) ||
			seen == 4 {
			continue
		}
		seen++
		next := plan.Profile{
			Shape:    c.Shape,
			Height:   c.Height,
			Width:    c.Width,
			Wall:     c.Wall,
			Lip:      c.Lip,
			Material: rk.Bar.Material,
		}
		next.PerMetre = likePrice(rk.Bar, next)
		change := finding.Op{Op: "replace", Path: path + "/rack/bar", Value: next}
		out = append(
			out,
			wayOut(
				stronger(
					rk,
					said.Say("bars of "),
					parts.SectionText(next),
					change,
					func(k *plan.Rack) { k.Bar = next },
				),
				float64(seen),
			),
		)
	}
	if rk.Posts == 0 || rk.Posts == 2 {
		out = append(
			out,
			wayOut(
				stronger(
					rk,
					said.Say("a third post in the middle of each frame"),
					nil,
					finding.Op{Op: "add", Path: path + "/rack/posts", Value: 3},
					func(k *plan.Rack) { k.Posts = 3 },
				),
				1.8,
			),
		)
	}
	if !rk.Middle && rk.RearAt > rk.FrontAt {
		out = append(out, wayOut(stronger(rk, said.Say("a third frame midway"), nil,
			finding.Op{Op: "add", Path: path + "/rack/middle", Value: true}, func(k *plan.Rack) { k.Middle = true }), 2.5))
	}
	if in, ok := slidesIn(rk.Bar); ok && rk.Insert == nil {
		out = append(out, wayOut(stronger(rk, said.Say("slid into the bars: "), parts.SectionText(in),
			finding.Op{Op: "add", Path: path + "/rack/insert", Value: in}, func(k *plan.Rack) { k.Insert = &in }), 1.2))
	}
	if rk.Posts == 1 {
		out = append(out, wayOut(stronger(rk, said.Say("a second post to each frame"), nil,
			finding.Op{Op: "add", Path: path + "/rack/posts", Value: 2}, func(k *plan.Rack) { k.Posts = 2 }), 1.6))
	}
	if rk.Brace == 0 {
		const leg = 0.25
		with := *rk
		with.Brace = leg
		for _, t := range rk.Tiers {
			if len(parts.BracesAt(&with, t)) > 0 {
				out = append(
					out,
					wayOut(
						stronger(
							rk,
							said.Say("braces at 45°, % each way", said.Length(leg)),
							nil,
							finding.Op{Op: "add", Path: path + "/rack/brace", Value: leg},
							func(k *plan.Rack) { k.Brace = leg },
						),
						1.5,
					),
				)
				break
			}
		}
	}
	return out
}

// slidesIn is the largest usual section that slides into a bar.
func slidesIn(bar plan.Profile) (in plan.Profile, ok bool) {
	most := 0.0
	for _, c := range catalogue.Commons {
		next := plan.Profile{Shape: c.Shape, Height: c.Height, Width: c.Width, Wall: c.Wall, Lip: c.Lip, Material: bar.Material}
		if c.Timber || c.Plastic || c.Shape != bar.Shape || !parts.SlidesIn(next, bar) {
			continue
		}
		if s, err := section.Of(parts.SizeOf(next)); err == nil && s.Wy > most {
			most, in, ok = s.Wy, next, true
		}
	}
	return in, ok
}

// stronger is a change of a rack, named with what it adds in mass and, where a metre's
// price is stated, in money.
func stronger(rk *plan.Rack, name, more said.Sentence, change finding.Op, with func(*plan.Rack)) finding.Variant {
	next := *rk
	with(&next)
	sums := func(k *plan.Rack) (mass, cost float64, priced bool) {
		priced = true
		for _, m := range parts.Members(k) {
			mass += m.Mass()
			if p := m.Profile.PerMetre; p != nil {
				cost += float64(*p) * m.Length * float64(m.Count)
			} else {
				priced = false
			}
		}
		return mass, cost, priced
	}
	m0, c0, p0 := sums(rk)
	m1, c1, p1 := sums(&next)
	name = append(append(name, more...), said.Say(", % heavier", said.Mass(m1-m0))...)
	if p0 && p1 {
		name = append(name, said.Say(", % more", said.Of(quantity.KindMoney, c1-c0))...)
	}
	return finding.Variant{Name: name, Patch: []finding.Op{change}}
}

// likePrice is what a metre of another section costs at the same price of a kilogram;
// nil where the first one's price is not stated.
func likePrice(of, next plan.Profile) *quantity.Money {
	if of.PerMetre == nil {
		return nil
	}
	a, err1 := section.Of(parts.SizeOf(of))
	b, err2 := section.Of(parts.SizeOf(next))
	if err1 != nil || err2 != nil || a.Area <= 0 {
		return nil
	}
	v := quantity.Money(float64(*of.PerMetre) * b.Area / a.Area)
	return &v
}
