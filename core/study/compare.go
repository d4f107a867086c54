package study

import (
	"cmp"
	"context"
	"maps"
	"math"
	"slices"
	"strings"

	"zygonos/core/ask/balance"
	"zygonos/core/ask/clearance"
	"zygonos/core/ask/fit"
	"zygonos/core/ask/towing"
	"zygonos/core/cost"
	"zygonos/core/lang/finding"
	"zygonos/core/lang/quantity"
	"zygonos/core/lang/said"
	"zygonos/core/lang/scene"
	"zygonos/core/plan"
	"zygonos/core/review"
	"zygonos/core/rig"
	"zygonos/core/sums/parallel"
)

// Comparison holds every trailer of a plan against the same outings.
type Comparison struct {
	Outings    []Named     `json:"outings"`
	Wants      []Named     `json:"wants"`
	Candidates []Candidate `json:"candidates"`
}

// Named is an entry of a list with its name.
type Named struct {
	ID   string        `json:"id"`
	Name said.Sentence `json:"name"`
	Wish bool          `json:"wish,omitempty"`
}

// Candidate is one trailer as the comparison shows it.
type Candidate struct {
	ID       string            `json:"id"`
	Name     string            `json:"name"`
	Comes    plan.Comes        `json:"comes,omitempty"`
	Chosen   bool              `json:"chosen,omitempty"`
	Outcome  finding.Outcome   `json:"outcome"` // the worst of outings and musts
	Worst    said.Sentence     `json:"worst"`   // why
	Outings  []CandidateOuting `json:"outings"`
	Wants    []fit.State       `json:"wants"`
	Musts    Count             `json:"musts"`
	Wishes   Count             `json:"wishes"`
	Bare     *finding.Measure  `json:"bare,omitempty"`    // payload as it is sold
	FitOut   *finding.Measure  `json:"fitOut,omitempty"`  // after what is fitted
	Payload  *finding.Measure  `json:"payload,omitempty"` // left on the outing that leaves least
	Bill     cost.Bill         `json:"bill"`
	PerKg    *finding.Measure  `json:"perKg,omitempty"` // money to the road per kg of payload after fit-out
	Unbeaten bool              `json:"unbeaten,omitempty"`
	Back     *finding.Variant  `json:"back,omitempty"`   // the one thing that would bring it back
	Looked   bool              `json:"looked,omitempty"` // that was looked for
	Lays     []finding.Op      `json:"lays,omitempty"`   // places that were assumed, to be taken over when it is chosen
	View     *scene.View       `json:"view,omitempty"`   // from the side, with the outing asked for
}

// Count is how many hold of how many.
type Count struct {
	Holds int `json:"holds"`
	Of    int `json:"of"`
}

// CandidateOuting is one outing on one trailer.
type CandidateOuting struct {
	ID        string           `json:"id"`
	Outcome   finding.Outcome  `json:"outcome"`
	Says      said.Sentence    `json:"says"`
	Payload   *finding.Measure `json:"payload,omitempty"`
	Ball      *finding.Measure `json:"ball,omitempty"`
	BallState finding.Outcome  `json:"ballState"`
	Move      said.Sentence    `json:"move,omitempty"`      // what brings the ball into its window
	TyreUsed  *finding.Measure `json:"tyreUsed,omitempty"`  // share of the tyres' rating
	TyreSpeed finding.Outcome  `json:"tyreSpeed,omitempty"` // against the outing's speed
	BallSize  finding.Outcome  `json:"ballSize,omitempty"`  // ball and coupling match
	Rear      *finding.Measure `json:"rear,omitempty"`      // load beyond the tail
	Side      *finding.Measure `json:"side,omitempty"`      // load beyond the side
	SideState finding.Outcome  `json:"sideState,omitempty"` // against the region's rule
	Gap       *finding.Measure `json:"gap,omitempty"`       // to the car …
	Near      bool             `json:"near,omitempty"`      // … and whether it is worth telling: turning takes more
	Laid      bool             `json:"laid,omitempty"`      // the places were assumed
}

// Tow says what a vehicle comes to before a trailer, over the plan's outings.
type Tow struct {
	Vehicle  string          `json:"vehicle"`
	Trailer  string          `json:"trailer"`
	Outcome  finding.Outcome `json:"outcome"`
	Says     said.Sentence   `json:"says"`
	Code     string          `json:"code,omitempty"` // of the check that it tells
	BallSize finding.Outcome `json:"ballSize,omitempty"`
	Plug     finding.Outcome `json:"plug,omitempty"`
}

// Compare judges every trailer with every outing of a plan that is cleaned
// here. Loads that have no place on a trailer yet are laid as on the trailer
// where they have one, and slid together into the ball window.
//
// With back, each candidate that fails is stated the one thing that would bring
// it back, which takes many reviews more.
func Compare(ctx context.Context, p *plan.Plan, q review.Request, back bool) *Comparison {
	review.Ready(p)
	out := &Comparison{Outings: []Named{}, Wants: []Named{}, Candidates: []Candidate{}}
	outings, trailers := p.OutingIDs(), p.TrailerIDs()
	for _, id := range outings {
		out.Outings = append(
			out.Outings,
			Named{ID: id, Name: said.Say("%", said.Name(p.Outings[id].Name, "Outing"))},
		)
	}
	if _, ok := p.Outings[q.Outing]; !ok && len(outings) > 0 {
		q.Outing = outings[0]
	}
	laid, lays := layAll(ctx, p, trailers, outings)
	out.Candidates = make([]Candidate, len(trailers))
	parallel.Each(len(trailers), func(i int) {
		id := trailers[i]
		if over(ctx) {
			c := candidate(p, id)
			c.Outcome, c.Worst = unlooked()
			out.Candidates[i] = c
			return
		}
		c := judged(laid, id, outings, whole)
		c.Lays = lays.patch[id]
		for k := range c.Outings {
			co := &c.Outings[k]
			at := [2]string{id, co.ID}
			co.Laid = lays.assumed[at]
			if says := lays.moved[at]; says != nil && !co.Laid {
				co.Move = says
			}
		}
		if r := rig.Resolve(laid, id, q.Outing); r != nil {
			v := r.Views()[0]
			v.Handles = nil
			c.View = &v
		}
		if back && len(trailers) <= mostBrought && c.Outcome == finding.Fails && !over(ctx) {
			c.Back, c.Looked = bringBack(laid, &c, outings), true
		}
		out.Candidates[i] = c
	})
	if len(out.Candidates) > 0 {
		for _, s := range out.Candidates[0].Wants {
			out.Wants = append(out.Wants, Named{ID: s.ID, Name: s.Title, Wish: s.Wish})
		}
	}
	markUnbeaten(out.Candidates)
	sameScale(out.Candidates)
	return out
}

// mostBrought is the number of candidates up to which the way back is looked for.
const mostBrought = 60

// laying is what it takes to have every load on every trailer in its place.
type laying struct {
	patch   map[string][]finding.Op     // by trailer
	assumed map[[2]string]bool          // trailer and outing whose places were taken from elsewhere
	moved   map[[2]string]said.Sentence // how what was laid was moved into the ball window
}

// layAll puts every outing's loads on every trailer: the places, then the moves
// into the ball window, also of places that the owner gave but that miss it: all slid
// alike, or else the first move on the deck that does it. The plan that it gives is p with
// the patches applied. Where a trailer stands is its own; how its load stands is not what it
// is judged by.
func layAll(ctx context.Context, p *plan.Plan, trailers, outings []string) (*plan.Plan, laying) {
	l := laying{map[string][]finding.Op{}, map[[2]string]bool{}, map[[2]string]said.Sentence{}}
	for _, t := range trailers {
		var places, moves []finding.Op
		for _, o := range outings {
			if over(ctx) {
				break
			}
			at := [2]string{t, o}
			layout, ops := lay(p, t, o)
			if len(ops) > 0 {
				places = append(places, ops...)
				l.assumed[at] = true
				p = withLayout(p, t, o, layout)
			}
			r := rig.Resolve(p, t, o)
			if r == nil || !l.assumed[at] && !balance.Misses(r) {
				continue
			}
			if d, ops, reached := Shift(r); reached {
				if math.Abs(d) > 0.005 {
					moves = append(moves, ops...)
					l.moved[at] = slideAllBy(d)
					p = withLayout(p, t, o, slid(layout, r, ops))
				}
			} else if v, next := intoWindowMove(p, t, o, onDeckAlone); v != nil {
				moves = append(moves, v.Patch...)
				l.moved[at] = slices.Concat(said.Say("with this done: "), v.Name)
				p = next
			}
		}
		l.patch[t] = append(places, moves...)
	}
	return p, l
}

// slid is the layout with the places that a slide writes.
func slid(l plan.Layout, r *rig.Rig, ops []finding.Op) plan.Layout {
	l.Placements = maps.Clone(l.Placements)
	for _, op := range ops {
		id := strings.TrimSuffix(strings.TrimPrefix(op.Path, r.LayoutPath("/placements/")), "/at/back")
		pl := l.Placements[id]
		pl.At.Back = quantity.Length(op.Value.(float64))
		l.Placements[id] = pl
	}
	return l
}

// candidate is one trailer before it is judged.
func candidate(p *plan.Plan, id string) Candidate {
	t := p.Trailers[id]
	return Candidate{
		ID:      id,
		Name:    t.Name,
		Comes:   t.Comes,
		Chosen:  p.Chosen == id,
		Outings: []CandidateOuting{},
		Wants:   []fit.State{},
		Bill:    cost.Of(id, &t),
	}
}

// judged holds one trailer against every outing and want, each outing as far as ask looks: whole for what is shown,
// atRest where it is only whether it fails.
func judged(
	p *plan.Plan,
	id string,
	outings []string,
	ask func(*plan.Plan, review.Request) *review.Report,
) Candidate {
	c := candidate(p, id)
	c.Bare, c.FitOut = towing.Sold(p, id)
	states := map[string]finding.Outcome{}
	says := map[string]said.Sentence{}
	for _, o := range outings {
		rep := ask(p, review.Request{Outing: o, Trailer: id})
		co := outingOf(p, rep, id, o)
		c.Outings = append(c.Outings, co)
		states[o], says[o] = co.Outcome, co.Says
		c.take(co.Outcome, co.Says)
		if co.Payload != nil && (c.Payload == nil || co.Payload.Value < c.Payload.Value) {
			c.Payload = co.Payload
		}
		c.Wants = worstWants(c.Wants, rep.Wants)
	}
	if len(outings) == 0 {
		if r := rig.Resolve(p, id, ""); r != nil {
			c.Wants = append(c.Wants, fit.Check(r)...)
		}
		c.take(finding.Unknown, said.Say("No outing to judge it by."))
	}
	for i := range c.Wants {
		s := &c.Wants[i]
		if s.What == plan.WantCarry && states[s.Outing] != "" {
			s.Outcome, s.Says = states[s.Outing], says[s.Outing]
		}
		n := &c.Musts
		if s.Wish {
			n = &c.Wishes
		} else {
			c.take(s.Outcome, s.Says)
		}
		n.Of++
		if s.Outcome == finding.Holds || s.Outcome == finding.Tight {
			n.Holds++
		}
	}
	if room := c.FitOut; c.Bill.Known && c.Bill.Open == 0 && room != nil && room.Value > 0 {
		c.PerKg = finding.Exactly(quantity.KindRate, float64(c.Bill.Money)/room.Value)
	}
	return c
}

// take keeps the worst outcome and why.
func (c *Candidate) take(o finding.Outcome, says said.Sentence) {
	if c.Outcome == "" || o.Rank() < c.Outcome.Rank() {
		c.Outcome, c.Worst = o, says
	}
}

// worstWants keeps for each want the outing on which it comes out worst.
func worstWants(was, now []fit.State) []fit.State {
	if len(was) == 0 {
		return now
	}
	for i := range now {
		if now[i].Outcome.Rank() < was[i].Outcome.Rank() {
			was[i] = now[i]
		}
	}
	return was
}

// outingOf draws out of a review what the comparison shows. Musts are counted
// on their own and leave the outing's outcome alone.
func outingOf(p *plan.Plan, rep *review.Report, trailer, outing string) CandidateOuting {
	co := CandidateOuting{ID: outing, Outcome: rep.Headline.Outcome, Says: rep.Headline.Says}
	if rep.Payload != nil {
		co.Payload = rep.Payload.Mass
	}
	if len(rep.Wants) > 0 {
		h := review.HeadlineOf(rep.Findings, notMust)
		co.Outcome, co.Says = h.Outcome, h.Says
	}
	for i := range rep.Chain { // all of them, or the side that bears more
		l := &rep.Chain[i]
		if strings.HasPrefix(l.ID, "tyres") && l.Share != nil && (co.TyreUsed == nil || l.Share.Value > co.TyreUsed.Value) {
			co.TyreUsed = l.Share
		}
	}
	for i := range rep.Findings {
		f := &rep.Findings[i]
		switch f.Code {
		case balance.CodeWindow:
			co.Ball, co.BallState = f.Figure, f.Outcome
			if f.Outcome == finding.Fails {
				co.Move = said.Say("no move was found that does it")
				if v, _ := intoWindowMove(p, trailer, outing, withAxle); v != nil {
					co.Move = v.Name
				}
			}
		case towing.CodeTyreSpeed:
			co.TyreSpeed = f.Outcome
		case towing.CodeBallSize:
			co.BallSize = f.Outcome
		case clearance.CodeRear:
			co.Rear = f.Figure
		case clearance.CodeSide:
			co.Side, co.SideState = f.Figure, f.Outcome
		case clearance.CodeCar:
			co.Gap, co.Near = f.Figure, f.Outcome != finding.Holds
		}
	}
	return co
}

// slideAllBy names a slide of all that stands free.
func slideAllBy(d float64) said.Sentence {
	if d < 0 {
		return said.Say("with all slid % forward", said.Length(-d))
	}
	return said.Say("with all slid % back", said.Length(d))
}

// mostTried is how many moves are tried to bring the ball load of a candidate into its window.
const mostTried = 8

// How the ball load is brought into its window.
type moving bool

const (
	onDeckAlone moving = false
	withAxle    moving = true // where the axle may be moved, too
)

// intoWindowMove is the first of the moves, the least effort first, that brings the ball load into its window, with
// the plan after it; nil where none of those tried does.
func intoWindowMove(p *plan.Plan, trailer, outing string, how moving) (*finding.Variant, *plan.Plan) {
	r := rig.Resolve(p, trailer, outing)
	w := balance.Check(r).Window
	if w == nil || r.Bears == nil || r.Layout == nil || w.High < w.Low {
		return nil, nil
	}
	target := (w.Low + w.High) / 2
	ways := toTarget(r, target)
	if c, ok := moveAxle(r, target/r.Bears.Mass.Nominal); ok {
		ways = append(ways, c)
	}
	if how == onDeckAlone {
		ways = slices.DeleteFunc(ways, func(c finding.Way) bool {
			return slices.ContainsFunc(c.Patch, func(op finding.Op) bool { return op.Path == r.AxlePath })
		})
	}
	slices.SortStableFunc(ways, func(a, b finding.Way) int { return cmp.Compare(a.Effort, b.Effort) })
	for _, c := range ways[:min(len(ways), mostTried)] {
		next, err := plan.Apply(p, c.Patch)
		if err == nil && len(plan.Clean(next)) == 0 && !balance.Misses(rig.Resolve(next, trailer, outing)) {
			return &c.Variant, next
		}
	}
	return nil, nil
}

// markUnbeaten marks the candidates that no other beats on money, payload and
// hours at once. Ones that fail, and ones of whose bill a price is missing, are left out.
func markUnbeaten(cs []Candidate) {
	in := func(c *Candidate) bool {
		return c.Outcome != finding.Fails && c.Bill.Known && c.Bill.Open == 0 && c.FitOut != nil
	}
	for i := range cs {
		a := &cs[i]
		if !in(a) {
			continue
		}
		a.Unbeaten = !slices.ContainsFunc(cs, func(b Candidate) bool {
			if !in(&b) || b.ID == a.ID {
				return false
			}
			asGood := b.Bill.Money <= a.Bill.Money && b.Bill.Hours <= a.Bill.Hours &&
				b.FitOut.Value >= a.FitOut.Value
			better := b.Bill.Money < a.Bill.Money || b.Bill.Hours < a.Bill.Hours || b.FitOut.Value > a.FitOut.Value
			return asGood && better
		})
	}
}

// sameScale gives all side views one frame, so that they are drawn alike large.
func sameScale(cs []Candidate) {
	var lo, hi scene.Point
	for i := range cs {
		if v := cs[i].View; v != nil {
			lo = scene.Point{min(lo[0], v.Min[0]), min(lo[1], v.Min[1])}
			hi = scene.Point{max(hi[0], v.Max[0]), max(hi[1], v.Max[1])}
		}
	}
	for i := range cs {
		if v := cs[i].View; v != nil {
			v.Min, v.Max = lo, hi
		}
	}
}

// Tows tries every vehicle before every trailer, over all outings: who may tow
// what.
func Tows(ctx context.Context, p *plan.Plan) []Tow {
	review.Ready(p)
	trailers, outings := p.TrailerIDs(), p.OutingIDs()
	p, _ = layAll(ctx, p, trailers, outings)
	out := []Tow{}
	for _, v := range p.VehicleIDs() {
		with := behind(p, v)
		for _, t := range trailers {
			tow := Tow{Vehicle: v, Trailer: t}
			if len(outings) == 0 {
				tow.Outcome, tow.Says = finding.Unknown, said.Say("No outing to judge it by.")
			}
			for _, o := range outings {
				if over(ctx) {
					tow.Outcome, tow.Says = unlooked()
					break
				}
				rep := review.Again(with, review.Request{Outing: o, Trailer: t})
				// What the load does to the trailer alone is not the car's affair.
				car := func(f *finding.Finding) bool {
					return f.Stage == "vehicle" || f.Code == balance.CodeWindow || f.Code == clearance.CodeCar
				}
				rep.DoubtIf(review.HeadlineOf(rep.Findings, car).Outcome)
				h := review.HeadlineOf(rep.Findings, car)
				if tow.Outcome == "" || h.Outcome.Rank() < tow.Outcome.Rank() {
					tow.Outcome, tow.Says, tow.Code = h.Outcome, h.Says, h.Code
				}
				for i := range rep.Findings {
					switch f := &rep.Findings[i]; f.Code {
					case towing.CodeBallSize:
						tow.BallSize = finding.Worse(tow.BallSize, f.Outcome)
					case towing.CodePlug:
						tow.Plug = finding.Worse(tow.Plug, f.Outcome)
					}
				}
			}
			out = append(out, tow)
		}
	}
	return out
}

// behind is the plan with one vehicle towing every outing.
func behind(p *plan.Plan, vehicle string) *plan.Plan {
	with := *p
	with.Outings = make(map[string]plan.Outing, len(p.Outings))
	for id, o := range p.Outings {
		o.Vehicle = vehicle
		with.Outings[id] = o
	}
	return &with
}

// partition puts weights into n trips, the heaviest first onto the lightest
// trip; the heaviest trip comes first.
func partition(ids []string, mass func(string) float64, n int) [][]string {
	ids = slices.Clone(ids)
	slices.SortStableFunc(ids, func(a, b string) int { return cmp.Compare(mass(b), mass(a)) })
	trips, sums := make([][]string, n), make([]float64, n)
	for _, id := range ids {
		k := 0
		for i := range sums {
			if sums[i] < sums[k] {
				k = i
			}
		}
		trips[k], sums[k] = append(trips[k], id), sums[k]+mass(id)
	}
	worst := 0
	for i := range sums {
		if sums[i] > sums[worst] {
			worst = i
		}
	}
	trips[0], trips[worst] = trips[worst], trips[0]
	return trips
}
