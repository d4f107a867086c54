// Package clearance answers what sticks out and what comes near: the load
// beyond tail and sides, the width over all, and the gap to the car when the rig
// stands straight. Formulas: docs/method/clearance.md.
package clearance

import (
	"zygonos/core/facts/norms"
	"zygonos/core/lang/finding"
	"zygonos/core/lang/quantity"
	"zygonos/core/lang/said"
	"zygonos/core/rig"
)

// Codes of the findings made here.
const (
	CodeRear  = "clearance.rear"
	CodeSide  = "clearance.side"
	CodeWidth = "clearance.width"
	CodeLong  = "clearance.length"
	CodeCar   = "clearance.car"
)

// Reach is how the rig's outline stands, m. What is not known is nil.
type Reach struct {
	Rear   *float64 // load beyond the tail
	Left   *float64 // load beyond the trailer's side
	Right  *float64
	Width  *float64 // over all, with the load
	Body   *float64 // of the trailer alone
	Length *float64 // from the front of the coupling to what reaches furthest back
	Gap    *float64 // between the car, its tailgate open where one is stated, and what is next to it
	By     *rig.Item
}

// couplingAhead is how far a coupling reaches before the ball's middle, m.
const couplingAhead = 0.10

// usualBallBehind is where the ball stands behind the bumper when it is not stated.
const usualBallBehind = 0.15

// Measure takes the outline of a rig.
func Measure(r *rig.Rig) Reach {
	var out Reach
	_, tail := r.Deck()
	deck := r.DeckFront != nil && r.Trailer.DeckLength != nil
	body := BodyWidth(r)
	out.Body = body
	length, half := tail, 0.0
	if body != nil {
		half = *body / 2
	}
	left, right, rear := half, half, tail
	for i := range r.Items {
		it := &r.Items[i]
		rear, length = max(rear, it.Rear), max(length, it.Rear)
		left, right = max(left, -it.Left), max(right, it.Right)
	}
	if deck {
		v, l := rear-tail, length+couplingAhead
		out.Rear, out.Length = &v, &l
	}
	if body != nil {
		l, r, w := left-half, right-half, left+right
		out.Left, out.Right, out.Width = &l, &r, &w
	}
	if r.Vehicle != nil && r.DeckFront != nil {
		gap, by := straight(r)
		out.Gap, out.By = &gap, by
	}
	return out
}

// straight is the least gap to the car straight ahead and what leaves it, nil for the front
// board: each thing is held against the bumper and, where it stands as high as the lower edge
// of the open tailgate, against that.
func straight(r *rig.Rig) (gap float64, by *rig.Item) {
	behind := usualBallBehind
	if b := r.Vehicle.BallBehind; b != nil {
		behind = float64(*b)
	}
	reach := func(top float64) float64 {
		g, h := r.Vehicle.GateReach, r.Vehicle.GateHeight
		if g == nil || h != nil && top <= float64(*h) {
			return -behind
		}
		return -behind + float64(*g)
	}
	board := 0.3 // of a front board where the sides are not stated
	if s := r.Trailer.SideHeight; s != nil {
		board = float64(*s)
	}
	front, _ := r.Deck()
	gap = front - reach(r.DeckHeight()+board)
	for i := range r.Items {
		it := &r.Items[i]
		if g := it.Front - reach(it.Top); g < gap {
			gap, by = g, it
		}
	}
	return gap, by
}

// RoadWidth is the widest that a load may be on the road, m: the vehicle's limit, and what may
// stand beyond the body's sides; by the deck where the body is not stated.
func RoadWidth(r *rig.Rig) float64 {
	rules := norms.RoadOf(r.Plan.Region)
	wide := float64(rules.Width)
	if l := rules.SideLimit; l != nil {
		body := r.DeckWidth()
		if b := BodyWidth(r); b != nil {
			body = *b
		}
		wide = min(wide, body+2*float64(*l))
	}
	return wide
}

// BodyWidth is the trailer's width over all: as stated, or over the wheels, and no less than its
// deck; nil where none of them is known.
func BodyWidth(r *rig.Rig) *float64 {
	t, w := r.Trailer, 0.0
	switch {
	case t.WidthOverAll != nil:
		w = float64(t.WidthOverAll.Value)
	case t.Track != nil:
		w = float64(t.Track.Value) + tyreWidth
	case t.DeckWidth == nil:
		return nil
	}
	if t.DeckWidth != nil {
		w = max(w, float64(t.DeckWidth.Value))
	}
	return &w
}

// tyreWidth is a usual trailer tyre's, m; wheelsBeside is what wheels and mudguards on both sides of a deck
// add to it at most (practice, C).
const (
	tyreWidth    = 0.17
	wheelsBeside = 0.6
)

// Check judges one rig.
func Check(r *rig.Rig) (Reach, []finding.Finding) {
	m := Measure(r)
	if r.Outing == nil {
		return m, nil
	}
	rules := norms.RoadOf(r.Plan.Region)
	var out []finding.Finding
	base := func(code string, title string, v, limit float64) finding.Finding {
		f := finding.Finding{
			Code:    code,
			Stage:   "balance",
			Scope:   r.Scope,
			Gate:    finding.GateGo,
			Subject: "/trailers/" + r.Scope.Trailer,
			Outcome: finding.Holds,
			Title: said.Say(
				title,
			),
			Figure: finding.Exactly(quantity.KindLength, v),
			Limit:  finding.Exactly(quantity.KindLength, limit),
			Source: &rules.SizeSource,
		}
		if limit > 0 {
			margin := (limit - v) / limit
			f.Margin = &margin
		}
		return f
	}
	if m.Rear != nil && *m.Rear > 0.001 {
		out = append(out, rear(base, rules, *m.Rear))
	}
	if m.Width != nil {
		out = append(out, width(r, base, rules, &m)...)
	}
	if f, ok := length(r, base, rules); ok {
		out = append(out, f)
	}
	if m.Gap != nil {
		f := base(CodeCar, "Gap to the car", *m.Gap, 0)
		f.Limit, f.Source = finding.Exactly(
			quantity.KindLength,
			gapReserve,
		), norms.Practice(
			"straight ahead; turning takes more",
		)
		what := said.Piece{Text: "the deck"}
		if m.By != nil {
			what = said.Name(m.By.Name, "a load")
		}
		switch {
		case *m.Gap <= 0:
			f.Outcome, f.Says = finding.Fails, said.Say(
				"% reaches % into the car or its open {car tailgate}. Move it back, or make the {drawbar} longer.",
				what,
				said.Length(-*m.Gap),
			)
		case *m.Gap < gapReserve:
			f.Outcome, f.Tight, f.Says = finding.Tight, finding.LittleRoom, said.Say(
				"Only % from % to the car, and turning takes more.",
				said.Length(*m.Gap),
				what,
			)
		default:
			f.Says = said.Say("% from % to the car, straight ahead.", said.Length(*m.Gap), what)
			if r.Vehicle.GateReach == nil {
				f.Says = said.Say("% from % to the car, straight ahead, the {car tailgate} shut.", said.Length(*m.Gap), what)
			}
		}
		margin := (*m.Gap - gapReserve) / gapReserve
		f.Margin = &margin
		out = append(out, f)
	}
	if f, ok := turn(r); ok {
		out = append(out, f)
	}
	return m, out
}

// gapReserve is the gap to the car from which a rig is stated to have little
// room before it turns, m: practice.
const gapReserve = 0.30

func rear(
	base func(string, string, float64, float64) finding.Finding,
	rules *norms.RoadRules,
	v float64,
) finding.Finding {
	f := base(CodeRear, "Load beyond the tail", v, 0)
	f.Limit, f.Margin = nil, nil
	f.Says = said.Say("The load reaches % beyond the tail. Keep lamps and {number plate} in sight.", said.Length(v))
	for _, mark := range rules.RearMarks {
		if quantity.Exceeds(v, float64(mark.Over)) {
			f.Outcome, f.Tight = finding.Tight, finding.LittleRoom
			f.Limit = finding.Exactly(quantity.KindLength, mark.Over)
			f.Says = said.Say(
				"The load reaches % beyond the tail, more than %. "+mark.Does,
				said.Length(v),
				said.Length(mark.Over),
			)
		}
	}
	if rules.RearDiffer != "" && f.Outcome == finding.Tight {
		f.Says = append(f.Says, said.Piece{Text: " " + rules.RearDiffer})
	}
	return f
}

// length holds the trailer's own against the region's limit, without its drawbar or with it; what is loaded counts
// beyond the tail. ok is false where the region has none or the deck is not taped.
func length(
	r *rig.Rig,
	base func(string, string, float64, float64) finding.Finding,
	rules *norms.RoadRules,
) (f finding.Finding, ok bool) {
	says := "The trailer is % long without its {drawbar}; % is allowed behind a car."
	limit, long := rules.BodyLength, r.DeckLength()
	if limit == nil {
		limit, says = rules.AllLength, "The trailer is % long with its {drawbar}; % is allowed."
		_, long = r.Deck()
		long += couplingAhead
	}
	if limit == nil || r.Trailer.DeckLength == nil || rules.BodyLength == nil && r.DeckFront == nil {
		return f, false
	}
	f = base(CodeLong, "Length of the trailer", long, float64(*limit))
	f.Says = said.Say(says, said.Length(long), said.Length(float64(*limit)))
	if quantity.Exceeds(long, float64(*limit)) {
		f.Outcome = finding.Fails
	}
	return f, true
}

func width(
	r *rig.Rig,
	base func(string, string, float64, float64) finding.Finding,
	rules *norms.RoadRules,
	m *Reach,
) []finding.Finding {
	var out []finding.Finding
	limit := float64(rules.Width)
	f := base(CodeWidth, "Width over all", *m.Body, limit)
	switch {
	case quantity.Exceeds(*m.Body, limit):
		f.Outcome, f.Says = finding.Fails, said.Say(
			"The trailer is % wide; only % is allowed.",
			said.Length(*m.Body),
			said.Length(limit),
		)
	default:
		f.Says = said.Say("The trailer is % wide; % is allowed.", said.Length(*m.Body), said.Length(limit))
		if t := r.Trailer; t.WidthOverAll == nil && t.Track == nil && *m.Body+wheelsBeside > limit {
			f.Outcome, f.Tight = finding.Tight, finding.GuessTooRough
			f.Says = said.Say("The deck is % wide; % is allowed, and wheels beside it may stand farther out: tape them.",
				said.Length(*m.Body), said.Length(limit))
			f.Needs = []finding.Need{{
				Path: f.Subject + "/widthOverAll", Says: said.Say("the width over wheels and {mudguard}s"), Where: said.Say("Tape it."),
			}}
		}
	}
	if rules.WidthAlso != "" {
		f.Says = append(f.Says, said.Piece{Text: " (" + rules.WidthAlso + ".)"})
	}
	out = append(out, f)
	beyond := max(*m.Left, *m.Right)
	if beyond <= 0.001 {
		return out
	}
	s := base(CodeSide, "Load beyond the side", beyond, 0)
	s.Limit, s.Margin = nil, nil
	s.Says = said.Say("The load reaches % beyond the side.", said.Length(beyond))
	fails := func(v float64, limit *quantity.Length, pattern string) bool {
		if limit == nil || !quantity.Exceeds(v, float64(*limit)) {
			return false
		}
		s.Outcome, s.Tight = finding.Fails, ""
		s.Figure, s.Limit = finding.Exactly(quantity.KindLength, v), finding.Exactly(quantity.KindLength, *limit)
		s.Says = said.Say(pattern, said.Length(v), said.Length(*limit))
		return true
	}
	if rules.SideFlag != nil && quantity.Exceeds(beyond, float64(*rules.SideFlag)) {
		s.Outcome, s.Tight = finding.Tight, finding.LittleRoom
		s.Limit = finding.Exactly(quantity.KindLength, *rules.SideFlag)
		s.Says = said.Say(
			"The load reaches % beyond the side: flag it from % on.",
			said.Length(beyond),
			said.Length(*rules.SideFlag),
		)
	}
	all := rules.LoadWidth
	if all == nil {
		all = &rules.Width
	}
	if !fails(beyond, rules.SideLimit, "The load reaches % beyond the side, % is allowed. Turn or shift it.") {
		fails(*m.Width, all, "With the load it is % wide, % is allowed. Turn or shift it.")
	}
	return append(out, s)
}
