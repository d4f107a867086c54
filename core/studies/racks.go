package studies

import (
	"cmp"
	"fmt"
	"maps"
	"math"
	"slices"

	"zygonos/core/catalogue"
	"zygonos/core/clearance"
	"zygonos/core/finding"
	"zygonos/core/norms"
	"zygonos/core/parts"
	"zygonos/core/plan"
	"zygonos/core/quantity"
	"zygonos/core/rack"
	"zygonos/core/review"
	"zygonos/core/rig"
	"zygonos/core/said"
	"zygonos/core/stance"
	"zygonos/core/sway"
)

// RackPlans are layouts of a rack for an outing's hulls: docs/method/rack.md.
type RackPlans struct {
	Options []RackPlan    `json:"options"`
	Says    said.Sentence `json:"says"`
	Hulls   int           `json:"hulls"`
}

// RackPlan is one layout, judged.
type RackPlan struct {
	finding.Variant
	Kind    string          `json:"kind"` // wide, tall, deck
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
	frameShare = 0.5  // frames' distance of the longest hull's length
	barOver    = 0.05 // bar beyond the outer hull
	postGap    = 0.02 // between a hull and a post
	postRoom   = 0.12 // of a post beside a lower tier, with the bar beyond it
)

// hullLoad is a hull to be laid.
type hullLoad struct {
	id                          string
	name                        string
	length, width, height, mass float64
	centre                      float64 // behind its bow
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
func PlanRacks(p *plan.Plan, q review.Request) *RackPlans {
	plan.Clean(p)
	out := &RackPlans{Options: []RackPlan{}}
	before := review.Review(p, q)
	q = review.Request{Outing: before.Scope.Outing, Trailer: before.Scope.Trailer}
	r := rig.Resolve(p, q.Trailer, q.Outing)
	if r == nil || r.Layout == nil || r.DeckFront == nil || r.Trailer.DeckLength == nil || r.Trailer.DeckWidth == nil || r.Axle == nil {
		out.Says = said.Say("Not known yet: it takes the trailer's deck and axle, and an outing with hulls.")
		return out
	}
	hulls := hullsOf(r)
	out.Hulls = len(hulls)
	if len(hulls) == 0 {
		out.Says = said.Say("No hulls in this outing: tell of boats first.")
		return out
	}
	rules := norms.RoadOf(p.Region)
	legal := float64(rules.Width)
	for i := range hulls {
		if hulls[i].width > legal {
			out.Says = said.Say("% is % wide, % is allowed. Carry it on edge, or not at all.", said.Name(hulls[i].name, "A hull"), said.Length(hulls[i].width), said.Length(legal))
			return out
		}
	}
	body := r.DeckWidth()
	if b := clearance.BodyWidth(r); b != nil {
		body = *b
	}
	under := underRacks(r, hulls)
	wide := legal
	if l := rules.SideLimit; l != nil {
		wide = min(wide, body+2*float64(*l))
	}
	for _, way := range []struct {
		kind  string
		width float64
		deck  bool
	}{{"wide", wide, false}, {"tall", max(body, hulls[0].width+2*barOver), false}, {"deck", max(body, hulls[0].width+2*barOver), true}} {
		if way.deck && (len(hulls) == 1 || under > 0) {
			continue
		}
		places, tops, home := layHulls(hulls, way.width, r.DeckHeight(), under, way.deck)
		if len(places) == 0 {
			continue
		}
		v, ok := rackVariant(r, way.kind, places, tops, home)
		if !ok {
			continue
		}
		out.judge(p, q, before, way.kind, v, places, home)
	}
	slices.SortStableFunc(out.Options, func(a, b RackPlan) int {
		return cmp.Or(cmp.Compare(len(a.Home), len(b.Home)), cmp.Compare(b.Outcome.Rank(), a.Outcome.Rank()))
	})
	if len(out.Options) == 0 {
		out.Says = said.Say("No rack under % carries them. Fewer hulls, or two trips.", said.Length(topMost))
		return out
	}
	out.Says = said.Say("% hulls, % ways to carry them.", said.Count(len(hulls)), said.Count(len(out.Options)))
	return out
}

// hullsOf are the outing's hulls, heaviest first.
func hullsOf(r *rig.Rig) []hullLoad {
	var out []hullLoad
	for i := range r.Items {
		it := &r.Items[i]
		if it.Part || it.Shape != "hull" || it.Mass == nil || it.Pinned {
			continue
		}
		h := hullLoad{id: it.ID, name: it.Name, length: it.Length(), width: it.Right - it.Left, height: it.Top - it.Bottom, mass: it.Mass.Nominal, centre: it.X - it.Front}
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
func layHulls(hulls []hullLoad, width, deckHeight, under float64, deck bool) (places []laid, tops []float64, home []hullLoad) {
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
	longest := 0.0
	for _, l := range places {
		longest = max(longest, l.hull.length)
	}
	spacing := round10(min(frameShare*longest, r.DeckLength()-0.1))
	if spacing <= 0.3 {
		return finding.Variant{}, false
	}
	tube := plan.Profile{Shape: "tube", Height: 0.05, Width: 0.05, Wall: 0.003, Material: "s235"}
	rk := &plan.Rack{FrontAt: 0.05, RearAt: quantity.Length(0.05 + spacing), Posts: 2, Foot: plan.FootPocket, Post: tube, Bar: tube, Tiers: map[string]plan.Tier{}}
	// Posts stand outside of all that lies under the highest tier.
	apart := r.DeckWidth() - 0.1
	for _, l := range places {
		if l.tier < len(tops)-1 {
			apart = max(apart, 2*(math.Abs(l.right)+l.hull.width/2+postGap)+float64(tube.Width))
		}
	}
	rk.Apart = quantity.Length(math.Ceil(apart*100-1e-9) / 100)
	part := plan.Part{Order: 100, Name: map[string]string{"wide": "Rack, wide and low", "tall": "Rack, narrow and tall", "deck": "Rack over the deck"}[kind], Kind: "rack", Undo: "pins", Rack: rk, Slots: map[string]plan.Slot{}}
	id := ""
	for n := 1; ; n++ {
		id = fmt.Sprintf("rack-%s-%d", kind, n)
		if _, taken := r.Plan.Parts[id]; !taken {
			break
		}
	}
	layout := plan.Layout{AxleAt: r.Layout.AxleAt, Parts: maps.Clone(r.Layout.Parts), Placements: maps.Clone(r.Layout.Placements), Readings: r.Layout.Readings}
	if layout.Parts == nil {
		layout.Parts = map[string]plan.PartOn{}
	}
	middle := 0.05 + spacing/2
	for i, l := range places {
		if l.tier == onDeck {
			layout.Placements[l.hull.id] = plan.Placement{On: plan.OnDeck, At: plan.Spot{Back: quantity.Length(round10((r.DeckLength() - l.hull.length) / 2))}, Optional: layout.Placements[l.hull.id].Optional}
			continue
		}
		tier := fmt.Sprintf("tier-%d", l.tier+1)
		t := rk.Tiers[tier]
		t.Order, t.Up = l.tier+1, quantity.Length(math.Round(tops[l.tier]*1e3)/1e3)
		t.Length = max(t.Length, quantity.Length(round10(2*(math.Abs(l.right)+l.hull.width/2+barOver))), rk.Apart+0.1)
		rk.Tiers[tier] = t
		slot := fmt.Sprintf("slot-%d", i+1)
		part.Slots[slot] = plan.Slot{Order: i + 1, Name: fmt.Sprintf("tier %d, place %d", l.tier+1, i+1), Tier: tier,
			At: plan.Spot{Back: quantity.Length(round10(middle - l.hull.centre)), Right: quantity.Length(math.Round(l.right*1e3) / 1e3), Up: t.Up}}
		layout.Placements[l.hull.id] = plan.Placement{On: plan.OnPart, ID: id, Slot: slot, Optional: layout.Placements[l.hull.id].Optional}
	}
	for i := range home {
		delete(layout.Placements, home[i].id)
	}
	// Racks that carry nothing any more stay at home.
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
	back := (r.DeckLength() - spacing - 0.1) / 2
	layout.Parts[id] = plan.PartOn{At: plan.Spot{Back: quantity.Length(round10(back))}}
	patch := []finding.Op{{Op: "add", Path: "/parts/" + id, Value: part}, {Op: "replace", Path: r.LayoutPath(""), Value: layout}}
	if next, err := plan.Apply(r.Plan, patch); err == nil { // where the ball wants it, on the deck
		if on := rig.Resolve(next, r.Scope.Trailer, r.Scope.Outing); on != nil && on.Bears != nil {
			rep := review.Again(next, review.Request{Trailer: r.Scope.Trailer, Outing: r.Scope.Outing})
			carried := 0.0
			for i, it := range on.Items {
				if it.Part && it.ID == id {
					carried = on.Riding()[i]
				}
			}
			if w := rep.Figures.Window; w != nil && w.High > w.Low && carried > 0 {
				want := (on.Bears.Ball.Nominal - (w.Low+w.High)/2) * on.Axle.Nominal / carried
				back = min(max(back+want, 0), max(0, r.DeckLength()-spacing-0.1))
				layout.Parts[id] = plan.PartOn{At: plan.Spot{Back: quantity.Length(round10(back))}}
				patch[1].Value = layout
			}
		}
	}
	return finding.Variant{Name: said.Say("%", said.Name(part.Name, "rack")), Patch: patch}, true
}

func (o *RackPlans) judge(p *plan.Plan, q review.Request, before *review.Report, kind string, v finding.Variant, places []laid, home []hullLoad) {
	next, err := plan.Apply(p, v.Patch)
	if err != nil || len(plan.Clean(next)) > 0 {
		return
	}
	r, was := rig.Resolve(next, q.Trailer, q.Outing), rig.Resolve(p, q.Trailer, q.Outing)
	rep := review.Again(next, q)
	opt := RackPlan{Variant: v, Kind: kind, Home: []string{}, Outcome: finding.Holds}
	for i := range home {
		opt.Home = append(opt.Home, home[i].name)
	}
	for i := range rep.Findings {
		if f := &rep.Findings[i]; (f.Stage == rack.Stage || f.Stage == "balance") && !f.Compares && f.Outcome != finding.Unknown {
			opt.Outcome = finding.Worse(opt.Outcome, f.Outcome)
		}
	}
	if len(home) > 0 {
		opt.Says = said.Say("% of % fit; % stay at home.", said.Count(len(places)), said.Count(o.Hulls), said.Count(len(home)))
	} else {
		opt.Says = said.Say(map[string]string{"wide": "Lowest, but broad.", "tall": "Within the mudguards, but high.", "deck": "Heaviest hull low, the others over it."}[kind])
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
		{said.Say("Bars used, of what they may"), nil, share(rep, rack.CodeBar)},
		{said.Say("Turns before it touches"), of(before, clearance.CodeTurn), of(rep, clearance.CodeTurn)},
	}
	for i := range o.Options {
		if o.Options[i].same(&opt) {
			return
		}
	}
	o.Options = append(o.Options, opt)
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
func strongerBars(r *rig.Rig, path string) []candidate {
	part, ok := r.Plan.Parts[path[len("/parts/"):]]
	if !ok || part.Rack == nil {
		return nil
	}
	rk := part.Rack
	var out []candidate
	stock, _ := catalogue.StockOf(rk.Bar.Material)
	seen := 0
	for _, c := range catalogue.Commons {
		if c.Shape != rk.Bar.Shape || c.Timber != stock.Timber || c.Height*c.Height*max(c.Wall, 0.001) <= rk.Bar.Height*rk.Bar.Height*max(rk.Bar.Wall, 0.001) || seen == 4 {
			continue
		}
		seen++
		out = append(out, candidate{finding.Variant{Name: said.Say("bars of %", said.Piece{Text: c.Name}),
			Patch: []finding.Op{{Op: "replace", Path: path + "/rack/bar", Value: plan.Profile{Shape: c.Shape, Height: c.Height, Width: c.Width, Wall: c.Wall, Lip: c.Lip, Material: rk.Bar.Material}}}}, float64(seen)})
	}
	if rk.Posts == 0 || rk.Posts == 2 {
		out = append(out, candidate{finding.Variant{Name: said.Say("a third post in the middle of each frame"),
			Patch: []finding.Op{{Op: "add", Path: path + "/rack/posts", Value: 3}}}, 2.5})
	}
	return out
}
