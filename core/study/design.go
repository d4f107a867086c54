package study

import (
	"cmp"
	"context"
	"maps"
	"math"
	"slices"
	"strings"
	"sync/atomic"

	"zygonos/core/ask/deck"
	drawbars "zygonos/core/ask/drawbar"
	"zygonos/core/ask/frame"
	"zygonos/core/ask/towing"
	"zygonos/core/begin"
	"zygonos/core/facts/catalogue"
	"zygonos/core/lang/finding"
	"zygonos/core/lang/quantity"
	"zygonos/core/lang/said"
	"zygonos/core/parts"
	"zygonos/core/plan"
	"zygonos/core/review"
	"zygonos/core/rig"
	"zygonos/core/study/cut"
	"zygonos/core/sums/parallel"
	"zygonos/core/sums/section"
)

// Aim is what a frame is looked for by.
type Aim string

// The aims.
const (
	AimMass Aim = "mass"
	AimCost Aim = "cost"
	AimHand Aim = "hand" // out of the bars that are there
)

// Aims lists the aims.
var Aims = []Aim{AimMass, AimCost, AimHand}

// Designs are frames that hold, best first.
type Designs struct {
	Answers []Design      `json:"answers"`
	Tried   int           `json:"tried"`
	Says    said.Sentence `json:"says"`
	Stopped bool          `json:"stopped,omitempty"` // its time was up: there may be better ones
	Lacks
}

// Design is one frame with what it comes to.
type Design struct {
	Says     said.Sentence    `json:"says"`
	Sections []said.Sentence  `json:"sections"` // rails, cross members, drawbar
	Mass     finding.Measure  `json:"mass"`     // of its members
	Cost     *finding.Measure `json:"cost,omitempty"`
	Payload  *finding.Measure `json:"payload,omitempty"` // left on the outing that leaves least
	Deep     finding.Measure  `json:"deep"`
	Pieces   int              `json:"pieces"`
	Bound    []said.Sentence  `json:"bound"` // why no role is lighter
	Outcome  finding.Outcome  `json:"outcome"`
	Whole    said.Sentence    `json:"whole"` // what all checks before the cut come to
	Patch    []finding.Op     `json:"patch"`
}

// thinnest is the least wall that is offered, m: thinner ones burn through by hand (practice, C).
const thinnest = 0.002

// gaps are the distances of cross members that are tried, m.
var gaps = []float64{0.45, 0.6, 0.75, 0.9}

// roles in which sections are chosen.
const (
	rails = iota
	rungs
	beams
	roles
)

// try is a layout with the section of each role, as indexes into those at hand.
type try struct {
	kind  string
	cross int
	at    [roles]int
}

// designer looks for frames.
type designer struct {
	ctx     context.Context
	p       *plan.Plan
	trailer string
	outings []string
	own     plan.Frame // what is not members stays
	at      [roles][]plan.Profile
	told    func(int)
	tried   atomic.Int64
	aim     Aim
}

// FindFrame looks for frames that hold in all load cases, over all outings, that bend no more than is usual
// and whose cross members bear the floor, over the sections that are usual or at hand: for each kind of
// drawbar and number of cross members it begins with the lightest sections, takes a stronger one for the role
// that fails until all holds, and then a lighter one for each role as long as all still holds. progress may be
// nil.
func FindFrame(ctx context.Context, p *plan.Plan, trailer string, aim Aim, progress func(int)) *Designs {
	review.Ready(p)
	out := &Designs{Answers: []Design{}}
	t, ok := p.Trailers[trailer]
	if !ok {
		out.Says = said.Say("There is no such trailer.")
		return out
	}
	d := &designer{ctx: ctx, trailer: trailer, told: progress, aim: aim}
	if t.Frame != nil {
		d.own = *t.Frame
	}
	outings := p.OutingIDs()
	d.p, _ = layAll(ctx, p, []string{trailer}, outings)
	d.outings = append(slices.Clone(outings), noOuting(outings)...)
	if says, needs := d.begins(); says != nil {
		out.Says, out.Needs = says, needs
		return out
	}
	d.sections()
	for _, list := range d.at {
		if len(list) == 0 {
			out.Says = said.Say(
				"You have no steel tube that could be a rail. Enter the bars you have, or look for the lightest.",
			)
			return out
		}
	}
	if aim == AimCost && !d.priced() {
		out.Says = said.Say("Enter what steel costs by weight, or a price for each section.")
		out.Needs = []finding.Need{{
			Path: "/trailers/" + trailer + "/frame/perKg", Says: said.Say("what steel costs by weight"),
			Where: said.Say("Ask where you buy it."),
		}}
		return out
	}
	var tries []try
	for _, kind := range []string{"beam", "a-frame"} {
		for _, n := range d.counts() {
			tries = append(tries, try{kind: kind, cross: n})
		}
	}
	found := make([]*Design, len(tries))
	keys := make([]try, len(tries))
	parallel.Each(len(tries), func(i int) {
		if best, why, ok := d.lightest(tries[i]); ok {
			keys[i] = best
			found[i] = d.describe(best, why)
		}
	})
	out.Tried = int(d.tried.Load())
	out.Stopped = over(ctx)
	d.choose(out, found, keys)
	return out
}

// begins reports what keeps a frame from being looked for.
func (d *designer) begins() (said.Sentence, []finding.Need) {
	l, err := begin.NewLadder(d.p, d.trailer, "beam")
	if err != nil {
		path := "/trailers/" + d.trailer + "/couplingToDeck"
		return said.Say(err.Error()), []finding.Need{{
			Path: path, Says: said.Say("distance from {coupling} to the {headboard}"),
			Where: said.Say("Tape from the ball's middle to the front edge of the deck."),
		}}
	}
	for _, o := range d.outings {
		for _, f := range frame.Judge(rig.Resolve(d.with(l), d.trailer, o)) {
			if f.Outcome == finding.Unknown && f.Code != frame.CodeBath {
				return f.Says, f.Needs
			}
		}
	}
	return nil, nil
}

// with is the plan with a ladder for its frame.
func (d *designer) with(l *begin.Ladder) *plan.Plan {
	f := d.own
	f.Members = l.Members()
	// what another frame showed on its corners, and what was asked about it, says nothing of this one
	f.TwistLoad, f.TwistDip, f.Asked = nil, nil, false
	p := *d.p
	p.Trailers = maps.Clone(p.Trailers)
	t := p.Trailers[d.trailer]
	t.Frame = &f
	p.Trailers[d.trailer] = t
	return &p
}

// sections are those of each role, lightest first; one that is weaker in all ways than a lighter one is left
// out.
func (d *designer) sections() {
	type known struct {
		p      plan.Profile
		s      section.Properties
		wt, kg float64
	}
	var all []known
	add := func(p plan.Profile) {
		stock, _ := catalogue.StockOf(p.Material)
		s, err := section.Of(parts.SizeOf(p))
		tw, err2 := section.TorsionOf(parts.SizeOf(p))
		if err == nil && err2 == nil && stock.Density > 7000 {
			all = append(all, known{p, s, tw.Wt, stock.Density * s.Area})
		}
	}
	material := "s235"
	for _, id := range plan.Ordered(d.own.Members, func(m plan.Member) int { return m.Order }) {
		if s, ok := catalogue.StockOf(d.own.Members[id].Profile.Material); ok && s.Density > 7000 {
			material = s.ID
			break
		}
	}
	if d.aim == AimHand {
		for _, id := range plan.Ordered(d.own.Bars, func(b plan.BarStock) int { return b.Order }) {
			if b := d.own.Bars[id]; b.Have != nil && *b.Have > 0 && b.Profile.Shape == string(section.Tube) {
				p := b.Profile
				p.PerMetre = nil
				if !slices.ContainsFunc(all, func(k known) bool { return k.p == p }) {
					add(p)
				}
			}
		}
	} else {
		for _, c := range catalogue.Commons {
			if c.Shape == string(section.Tube) && !c.Timber && !c.Plastic && c.Wall >= thinnest-1e-9 {
				add(plan.Profile{Shape: c.Shape, Height: c.Height, Width: c.Width, Wall: c.Wall, Material: material})
			}
		}
	}
	slices.SortStableFunc(all, func(a, b known) int { return cmp.Compare(a.kg, b.kg) })
	for role := range d.at {
		var kept []known
		for _, k := range all {
			if role == rails && (k.p.Height < 0.06 || k.p.Width > k.p.Height) ||
				role == beams && k.p.Height < 0.05 {
				continue
			}
			if slices.ContainsFunc(
				kept,
				func(o known) bool { return o.s.Wy >= k.s.Wy && o.s.Wz >= k.s.Wz && o.wt >= k.wt },
			) {
				continue
			}
			kept = append(kept, k)
		}
		for _, k := range kept {
			d.at[role] = append(d.at[role], d.price(k.p))
		}
	}
}

// price gives a section the price that the plan has for it.
func (d *designer) price(p plan.Profile) plan.Profile {
	for _, m := range d.own.Members {
		q := m.Profile
		q.PerMetre = nil
		if q == p && m.Profile.PerMetre != nil {
			p.PerMetre = m.Profile.PerMetre
			return p
		}
	}
	return p
}

func (d *designer) priced() bool {
	if d.own.PerKg != nil {
		return true
	}
	for _, list := range d.at {
		for _, p := range list {
			if p.PerMetre == nil {
				return false
			}
		}
	}
	return true
}

// counts are the numbers of cross members that are tried.
func (d *designer) counts() (out []int) {
	l, _ := begin.NewLadder(d.p, d.trailer, "beam")
	long := l.Long()
	for _, g := range gaps {
		if n := max(2, int(math.Ceil((long-0.05)/g))+1); !slices.Contains(out, n) {
			out = append(out, n)
		}
	}
	return out
}

// ladder is a try laid out.
func (d *designer) ladder(t try) *begin.Ladder {
	l, _ := begin.NewLadder(d.p, d.trailer, t.kind)
	l.Cross = t.cross
	l.Rail, l.Rung, l.Beam = d.at[rails][t.at[rails]], d.at[rungs][t.at[rungs]], d.at[beams][t.at[beams]]
	return l
}

// fails is the first thing that a try fails by, over all outings; nil where it holds.
func (d *designer) fails(t try) *finding.Finding {
	n := d.tried.Add(1)
	if d.told != nil && n%10 == 0 {
		d.told(int(n))
	}
	p := d.with(d.ladder(t))
	for _, o := range d.outings {
		r := rig.Resolve(p, d.trailer, o)
		for _, f := range slices.Concat(frame.Judge(r), drawbars.Check(r), deck.Check(r)) {
			if !lets(&f) {
				return &f
			}
		}
	}
	return nil
}

// lets reports whether a finding lets a frame pass: a check of its strength, bending or floor that is
// within its limit with the weights at their most, or one of something else.
func lets(f *finding.Finding) bool {
	switch f.Code {
	case frame.CodeStrength, frame.CodeCases, frame.CodeBend, frame.CodeBolts, drawbars.CodeBend,
		deck.CodeBears:
		return f.Outcome != finding.Unknown && f.Figure != nil && f.Limit != nil &&
			f.Figure.Value <= f.Limit.Value*(1+1e-9)
	case frame.CodeWhole:
		return f.Outcome == finding.Holds
	}
	return true
}

// role is the role that a finding is about; −1: none that a section mends.
func role(f *finding.Finding) int {
	if f.Code == drawbars.CodeBend {
		return beams
	}
	_, id, ok := strings.Cut(f.Subject, "/members/")
	switch {
	case !ok:
		return -1
	case strings.HasPrefix(id, "rail-"):
		return rails
	case strings.HasPrefix(id, "cross-"):
		return rungs
	case strings.HasPrefix(id, "drawbar"):
		return beams
	}
	return -1
}

// mostSteps bounds the climb of one layout.
const mostSteps = 40

// lightest finds sections for a layout: up from the lightest until all holds, then down role by role. why is
// what the next lighter section of each role fails by, nil where there is none.
func (d *designer) lightest(t try) (best try, why [roles]*finding.Finding, ok bool) {
	for step := 0; ; step++ {
		if over(d.ctx) || step == mostSteps {
			return t, why, false
		}
		f := d.fails(t)
		if f == nil {
			break
		}
		at := role(f)
		if at < 0 || f.Figure == nil || f.Limit == nil || !d.stronger(&t, at, f.Figure.Value/f.Limit.Value) {
			return t, why, false
		}
	}
	for moved := true; moved; {
		moved = false
		for at := range roles {
			if t.at[at] == 0 {
				why[at] = nil
				continue
			}
			if over(d.ctx) {
				return t, why, true
			}
			down := t
			down.at[at]--
			if why[at] = d.fails(down); why[at] == nil {
				t, moved = down, true
			}
		}
	}
	return t, why, true
}

// stronger takes the next section of a role that bears about so many times as much; false where there is none.
func (d *designer) stronger(t *try, at int, times float64) bool {
	list := d.at[at]
	now, _ := section.Of(parts.SizeOf(list[t.at[at]]))
	for i := t.at[at] + 1; i < len(list); i++ {
		s, _ := section.Of(parts.SizeOf(list[i]))
		if s.Wy >= now.Wy*math.Min(times, 4)*0.9 || i == len(list)-1 {
			t.at[at] = i
			return true
		}
	}
	return false
}

// cost is what the members' metres cost; nil where a price is missing.
func (d *designer) cost(bars []parts.FrameBar) *finding.Measure {
	sum := 0.0
	for i := range bars {
		switch b := &bars[i]; {
		case b.Member.Profile.PerMetre != nil:
			sum += float64(*b.Member.Profile.PerMetre) * b.Length
		case d.own.PerKg != nil:
			sum += float64(*d.own.PerKg) * b.Each
		default:
			return nil
		}
	}
	return finding.Exactly(quantity.KindMoney, sum)
}

// describe is a frame with what it comes to.
func (d *designer) describe(t try, why [roles]*finding.Finding) *Design {
	l := d.ladder(t)
	p := d.with(l)
	f := p.Trailers[d.trailer].Frame
	bars := parts.FrameBars(f)
	mass, _ := parts.BarsMass(bars)
	out := &Design{
		Mass: *finding.Exactly(quantity.KindMass, mass), Cost: d.cost(bars), Pieces: len(bars), Bound: []said.Sentence{},
		Deep:  *finding.Exactly(quantity.KindLength, frame.Deep(bars)),
		Patch: []finding.Op{{Op: "add", Path: "/trailers/" + d.trailer + "/frame", Value: *f}},
	}
	kind := said.Say("One beam to the {coupling}")
	if t.kind == "a-frame" {
		kind = said.Say("Two bars that run together")
	}
	out.Says = append(kind, said.Say(", % cross members", said.Count(t.cross))...)
	for _, pr := range []plan.Profile{l.Rail, l.Rung, l.Beam} {
		pr.PerMetre = nil
		out.Sections = append(out.Sections, parts.SectionText(pr))
	}
	for at, name := range [roles]string{"Rails", "Cross members", "The {drawbar}"} {
		switch f := why[at]; {
		case t.at[at] == 0:
			out.Bound = append(out.Bound, said.Say(name+": the lightest section you have."))
		case f != nil:
			out.Bound = append(out.Bound, append(said.Say(name+" one lighter: "), f.Says...))
		}
	}
	return out
}

// choose puts the best frames out, at most three that differ in their drawbar or their cross members, each
// judged whole.
func (d *designer) choose(out *Designs, found []*Design, keys []try) {
	var order []int
	holding := false
	for i, f := range found {
		holding = holding || f != nil
		if f != nil && d.cuttable(f) {
			order = append(order, i)
		}
	}
	by := func(i int) float64 {
		if d.aim == AimCost && found[i].Cost != nil {
			return found[i].Cost.Value
		}
		return found[i].Mass.Value
	}
	slices.SortStableFunc(order, func(a, b int) int { return cmp.Compare(by(a), by(b)) })
	var chosen []int
	take := func(of func(i int) bool) {
		if at := slices.IndexFunc(order, func(i int) bool { return !slices.Contains(chosen, i) && of(i) }); at >= 0 {
			chosen = append(chosen, order[at])
		}
	}
	take(func(int) bool { return true })
	if len(chosen) == 0 {
		switch {
		case out.Stopped:
			out.Says = said.Say("None was found before the time was up.")
		case holding:
			out.Says = said.Say(
				"Frames of these sections hold, but none can be cut from the bars you have. Enter more bars, or look for the lightest.",
			)
		default:
			out.Says = said.Say("No frame of these sections was found that holds. Carry less, or enter larger sections.")
		}
		return
	}
	first := keys[chosen[0]]
	take(func(i int) bool { return keys[i].kind != first.kind })
	take(func(i int) bool { return keys[i].cross < first.cross && by(i) < 1.5*by(chosen[0]) })
	for _, i := range chosen {
		f := found[i]
		d.whole(f)
		out.Answers = append(out.Answers, *f)
	}
	out.Says = said.Say("% frames hold on all outings; the best of % that were tried.",
		said.Count(len(out.Answers)), said.Count(out.Tried))
}

// cuttable reports whether a frame comes out of the bars that are there, where only those are to be used.
func (d *designer) cuttable(f *Design) bool {
	if d.aim != AimHand {
		return true
	}
	own := f.Patch[0].Value.(plan.Frame)
	p := *d.p
	p.Trailers = maps.Clone(p.Trailers)
	t := p.Trailers[d.trailer]
	t.Frame = &own
	p.Trailers[d.trailer] = t
	c := cut.Frame(d.ctx, &p, d.trailer)
	if c == nil || c.Bought.Value > 0 {
		return false
	}
	return !slices.ContainsFunc(c.Sections, func(s cut.SectionCut) bool { return len(s.Fails) > 0 })
}

// whole judges a frame as any variant is, and what it leaves to carry.
func (d *designer) whole(f *Design) {
	own := f.Patch[0].Value.(plan.Frame)
	p := *d.p
	p.Trailers = maps.Clone(p.Trailers)
	t := p.Trailers[d.trailer]
	t.Frame = &own
	p.Trailers[d.trailer] = t
	for _, o := range d.outings {
		for _, g := range review.Again(&p, review.Request{Outing: o, Trailer: d.trailer}).Findings {
			if g.Code == towing.CodePayload && g.Figure != nil &&
				(f.Payload == nil || g.Figure.Value < f.Payload.Value) {
				f.Payload = g.Figure
			}
		}
	}
	gate := BeforeCut(context.WithoutCancel(d.ctx), &p, d.trailer)
	f.Outcome, f.Whole = gate.Outcome, gate.Says
}
