package study

import (
	"context"
	"maps"
	"math"
	"slices"
	"strings"

	"zygonos/core/ask/balance"
	"zygonos/core/lang/finding"
	"zygonos/core/lang/quantity"
	"zygonos/core/lang/said"
	"zygonos/core/lang/scene"
	"zygonos/core/plan"
	"zygonos/core/review"
	"zygonos/core/rig"
)

// AxlePlace tells where the axle may stand so that every outing's ball load
// lies in its window: docs/method/axle.md.
type AxlePlace struct {
	Lacks
	Rows    []AxleRow         `json:"rows"`
	Now     float64           `json:"now"`               // behind the ball, m
	Nominal *Interval         `json:"nominal,omitempty"` // common to all, by the nominal figures
	Sure    *Interval         `json:"sure,omitempty"`    // common to all, whatever the guesses
	Best    *float64          `json:"best,omitempty"`    // largest least margin, at a hole where there are holes
	Says    said.Sentence     `json:"says"`
	Outcome finding.Outcome   `json:"outcome"` // where the axle stands now
	Fix     *finding.Variant  `json:"fix,omitempty"`
	Closes  []finding.Variant `json:"closes"`         // what brings the outings that miss into their windows with the axle at Best
	View    *scene.View       `json:"view,omitempty"` // the bars, over the same x as the side view
	Source  *finding.Source   `json:"source,omitempty"`
	Drawbar said.Sentence     `json:"drawbar,omitempty"` // where the axle is fixed: the same asked of the drawbar's length
}

// Interval is a stretch behind the ball, m.
type Interval struct {
	From float64 `json:"from"`
	To   float64 `json:"to"`
}

// AxleRow is one outing's stretch.
type AxleRow struct {
	Outing  string          `json:"outing"` // "" is the empty trailer
	Name    said.Sentence   `json:"name"`
	Nominal *Interval       `json:"nominal,omitempty"`
	Sure    *Interval       `json:"sure,omitempty"`
	Outcome finding.Outcome `json:"outcome"`
	Says    said.Sentence   `json:"says,omitempty"` // where there is no stretch: why

	needs []finding.Need
}

// Ends between which the axle is looked for, m behind the ball.
const (
	axleNearest = 0.5
	axleBeyond  = 1.5 // behind the deck
)

// PlaceAxle asks of all outings of one trailer where its axle may stand. The
// empty trailer has a row of its own, which does not bind: it is towed empty
// on the way, and stated.
func PlaceAxle(ctx context.Context, p *plan.Plan, trailer string) *AxlePlace {
	review.Ready(p)
	out := &AxlePlace{Rows: []AxleRow{}, Closes: []finding.Variant{}, Outcome: finding.Unknown}
	r := rig.Resolve(p, trailer, "")
	if r == nil {
		out.Says = said.Say("No trailer yet.")
		return out
	}
	lacks := deckLacks(r)
	const axle = "/couplingToAxle" // it moves from where it is: that is taped first, not taken as usual
	for _, n := range slices.Concat(lacks.Needs, lacks.Rough) {
		if strings.HasSuffix(n.Path, axle) {
			out.Needs = []finding.Need{n}
			out.Says = out.sum()
			return out
		}
	}
	out.Rough = r.Usual
	defer func() {
		if len(out.Needs) == 0 {
			out.Says = out.roughly(out.Says)
		}
	}()
	out.Now, out.Source = r.Axle.Nominal, &r.School.Source
	_, tail := r.Deck()
	ends := Interval{axleNearest, tail + axleBeyond}
	var seesaws []*seesaw
	for _, o := range p.OutingIDs() {
		if over(ctx) {
			out.Rows = append(
				out.Rows,
				AxleRow{
					Outing:  o,
					Name:    said.Say("%", said.Name(p.Outings[o].Name, "Outing")),
					Outcome: finding.Unknown,
					Says:    notLooked,
				},
			)
			continue
		}
		s, row := newSeesaw(p, trailer, o, ends)
		row.Name = said.Say("%", said.Name(p.Outings[o].Name, "Outing"))
		out.Rows = append(out.Rows, row)
		out.Needs = more(out.Needs, row.needs)
		if s != nil {
			seesaws = append(seesaws, s)
		}
	}
	_, empty := newSeesaw(p, trailer, "", ends)
	empty.Name = said.Say("Empty")
	bound := out.Rows
	out.Rows = append(out.Rows, empty)
	out.Nominal, out.Sure = common(
		bound,
		func(r *AxleRow) *Interval { return r.Nominal },
	), common(
		bound,
		func(r *AxleRow) *Interval { return r.Sure },
	)
	out.Outcome = ""
	for i := range bound {
		out.Outcome = finding.Worse(out.Outcome, bound[i].Outcome)
	}
	if len(seesaws) == 0 {
		out.Outcome, out.Says = finding.Unknown, said.Say("Not known yet: add an outing's loads first.")
		if len(out.Needs) > 0 {
			out.Says = out.sum()
		}
		return out
	}
	moves := p.Trailers[trailer].AxleMoves
	best := bestAxle(seesaws, moves, ends)
	out.Best = &best
	out.Says = axleSays(out, bound, moves, best)
	if open := unjudged(bound); len(open) > 0 {
		out.Says = slices.Concat(
			out.Says,
			said.Say(" Left out because something is still missing: "),
			said.List(open...),
			said.Say("."),
		)
	}
	if moves != nil && math.Abs(best-out.Now) > 1e-6 {
		out.Fix = setAxles(p, trailer, best)
		newWarner(p, trailer).warn(out.Fix, "")
	}
	if out.Nominal == nil {
		out.Closes = closers(p, trailer, best, bound)
	}
	if moves == nil {
		out.Drawbar = drawbar(p, trailer)
	}
	out.View = axleView(out)
	return out
}

// drawbar says how much longer or shorter a drawbar brings every outing into its
// window. With deck and axle d further back and the drawbar's own weight left out
// the ball bears R·L/(L + d), so for a window of R_low to R_high d lies between
// R·L/R_high − L and R·L/R_low − L.
func drawbar(p *plan.Plan, trailer string) said.Sentence {
	from, to := math.Inf(-1), math.Inf(1)
	known, whole := false, true
	for _, o := range p.OutingIDs() {
		r := rig.Resolve(p, trailer, o)
		if r == nil || r.Bears == nil || r.Layout == nil {
			whole = false
			continue
		}
		w := balance.Check(r).Window
		if w == nil || w.High < w.Low || !(w.Low > 0) || !(r.Bears.Ball.Nominal > 0) {
			return nil
		}
		known = true
		l, k := r.Axle.Nominal, r.Bears.Ball.Nominal*r.Axle.Nominal
		from, to = max(from, k/w.High-l), min(to, k/w.Low-l)
	}
	switch {
	case !known || from <= 0 && to >= 0:
		return nil
	case from > to:
		return said.Say("No length of {drawbar} brings every outing into its window.")
	}
	word, least, most := "longer", from, to
	if to < 0 {
		word, least, most = "shorter", -to, -from
	}
	if !whole {
		word += " brings every outing that can be judged into its window."
	} else {
		word += " brings every outing into its window."
	}
	return said.Say(
		"With the axle fixed where it is: a {drawbar} % to % "+word,
		said.Length(least),
		said.Length(most),
	)
}

// seesaw is a rig whose axle may be put anywhere: what moves with the axle and
// what stays is kept apart.
type seesaw struct {
	r *rig.Rig
}

// newSeesaw resolves an outing with the axle a little aside, so that the rig
// tells what moves with it, and finds its stretch.
func newSeesaw(p *plan.Plan, trailer, outing string, ends Interval) (*seesaw, AxleRow) {
	row := AxleRow{Outing: outing, Outcome: finding.Unknown}
	r := rig.Resolve(asideAxle(p, trailer, outing), trailer, outing)
	if r == nil || r.Bears == nil || r.Bears.Share == nil {
		row.Says = said.Say("not known yet")
		if r != nil && len(r.Needs) > 0 {
			row.Says = append(said.Say("it takes "), r.Needs[0].Says...)
			row.needs = r.Needs
		}
		return nil, row
	}
	s := &seesaw{r: r}
	if w := s.window(ends.From); w != nil && w.High < w.Low {
		row.Outcome, row.Says = finding.Fails, said.Say(
			"no {ball load} fits: the lowest limit is below the window",
		)
		return nil, row
	}
	row.Nominal = s.stretch(ends, func(l float64) (low, high float64) { return s.margins(l, false) })
	row.Sure = s.stretch(ends, func(l float64) (low, high float64) { return s.margins(l, true) })
	now := rig.Resolve(p, trailer, outing)
	low, high := s.margins(now.Axle.Nominal, false)
	sureLow, sureHigh := s.margins(now.Axle.Nominal, true)
	switch {
	case low < -1e-9 || high < -1e-9 && !balance.Heavy(now):
		row.Outcome = finding.Fails
	case high < -1e-9 || sureLow < -1e-9 || sureHigh < -1e-9:
		row.Outcome = finding.Tight
	default:
		row.Outcome = finding.Holds
	}
	if row.Nominal == nil {
		row.Says = said.Say("no position of the axle brings it in")
	}
	return s, row
}

// asideAxle is the plan with the axle of one outing set a millimetre aside of
// where it was when the trailer was weighed.
func asideAxle(p *plan.Plan, trailer, outing string) *plan.Plan {
	q := *p
	t := q.Trailers[trailer]
	if t.CouplingToAxle == nil {
		return p
	}
	q.Trailers = maps.Clone(p.Trailers)
	at := t.CouplingToAxle.Value
	if t.Empty.AxleAt == nil {
		t.Empty.AxleAt = &at
	}
	e := *t.CouplingToAxle
	e.Value = *t.Empty.AxleAt + 0.001
	t.CouplingToAxle = &e
	q.Trailers[trailer] = t
	if o, ok := q.Outings[outing]; ok {
		if l, ok := o.Layouts[trailer]; ok && l.AxleAt != nil {
			l.AxleAt = nil
			o.Layouts = maps.Clone(o.Layouts)
			o.Layouts[trailer] = l
			q.Outings = maps.Clone(p.Outings)
			q.Outings[outing] = o
		}
	}
	return &q
}

// at solves the rig with its axle l behind the ball.
func (s *seesaw) at(l float64) *rig.Rig {
	r := *s.r
	half := r.Axle.Width() / 2
	axle := quantity.Range[float64]{Nominal: l, Low: l - half, High: l + half}
	r.Axle, r.Beam.Axle = &axle, axle
	b, ok := r.Beam.Solve()
	if !ok {
		r.Bears = nil
		return &r
	}
	r.Bears = &b
	return &r
}

func (s *seesaw) window(l float64) *balance.Window { return balance.Check(s.at(l)).Window }

// margins are how far the ball load lies over the low end of its window and
// under its high end, as shares of the rig's mass; with sure at the ends of the
// guesses' range.
func (s *seesaw) margins(l float64, sure bool) (low, high float64) {
	return balance.Margins(s.at(l), sure)
}

// stretch is where both margins are not negative. As the axle goes back, the
// ball bears more, whatever the guesses: the low margin rises and the high one
// falls, so each end is found by bisection.
func (s *seesaw) stretch(ends Interval, margins func(float64) (low, high float64)) *Interval {
	from := edge(ends, func(l float64) bool { low, _ := margins(l); return low >= 0 })
	to := edge(ends, func(l float64) bool { _, high := margins(l); return high < 0 })
	if !(from <= to) || from >= ends.To || to <= ends.From {
		return nil
	}
	return &Interval{from, to}
}

// edge is where is turns true along the ends.
func edge(ends Interval, is func(float64) bool) float64 {
	if is(ends.From) {
		return ends.From
	}
	if !is(ends.To) {
		return ends.To
	}
	lo, hi := ends.From, ends.To
	for range 45 {
		mid := (lo + hi) / 2
		if is(mid) {
			hi = mid
		} else {
			lo = mid
		}
	}
	return hi
}

func common(rows []AxleRow, of func(*AxleRow) *Interval) *Interval {
	out := Interval{math.Inf(-1), math.Inf(1)}
	for i := range rows {
		if rows[i].Outcome == finding.Unknown {
			continue
		}
		v := of(&rows[i])
		if v == nil {
			return nil
		}
		out.From, out.To = max(out.From, v.From), min(out.To, v.To)
	}
	if math.IsInf(out.From, 0) || out.From > out.To {
		return nil
	}
	return &out
}

// bestAxle is the place with the largest least margin over all outings, both
// ends of each window counted: along the axle the least of rising and falling
// margins has one top, found by thirds. With holes, the better of the two holes
// about it; a fixed axle's best is stated all the same.
func bestAxle(seesaws []*seesaw, moves *plan.AxleMoves, ends Interval) float64 {
	least := func(l float64) float64 {
		m := math.Inf(1)
		for _, s := range seesaws {
			low, high := s.margins(l, false)
			m = min(m, low, high)
		}
		return m
	}
	lo, hi := ends.From, ends.To
	if moves != nil {
		lo, hi = max(lo, float64(moves.Min)), min(hi, float64(moves.Max))
	}
	from, to := lo, hi
	for range 60 {
		a, b := lo+(hi-lo)/3, hi-(hi-lo)/3
		if least(a) < least(b) {
			lo = a
		} else {
			hi = b
		}
	}
	best := (lo + hi) / 2
	if moves == nil {
		return math.Round(best*1000) / 1000
	}
	if moves.Pitch <= 0 {
		return math.Round(min(max(best, from), to)*1000) / 1000
	}
	hole := float64(rig.NearestHole(moves, quantity.Length(best)))
	for _, h := range []float64{hole - float64(moves.Pitch), hole + float64(moves.Pitch)} {
		if h >= from-1e-9 && h <= to+1e-9 && least(h) > least(hole) {
			hole = h
		}
	}
	return math.Round(hole*1e4) / 1e4
}

func axleSays(a *AxlePlace, bound []AxleRow, moves *plan.AxleMoves, best float64) said.Sentence {
	at := said.Length(best)
	all := "every outing is in its window"
	if len(unjudged(bound)) > 0 {
		all = "every outing that can be judged is in its window"
	}
	switch {
	case a.Sure != nil && inside(a.Sure, best):
		return said.Say("Axle at % from the {coupling}: "+all+", whatever the guesses.", at)
	case a.Nominal != nil && inside(a.Nominal, best):
		return said.Say(
			"Axle at % from the {coupling}: "+all+" by the weights entered; the guesses are too rough to be sure.",
			at,
		)
	case a.Nominal != nil && moves != nil:
		return said.Say(
			"All outings agree between % and %, where the hanger has no hole. Best hole: %.",
			said.Length(a.Nominal.From),
			said.Length(a.Nominal.To),
			at,
		)
	case len(bound) < 2:
		return said.Say("No position of the axle brings the ball into its window. Nearest: %.", at)
	}
	return said.Say("No one position suits all outings. The best compromise is % from the {coupling}.", at)
}

// unjudged names the outings of which too little is known: no place of the axle is stated to suit them.
func unjudged(bound []AxleRow) (names []said.Sentence) {
	for i := range bound {
		if bound[i].Outcome == finding.Unknown {
			names = append(names, bound[i].Name)
		}
	}
	return names
}

func inside(i *Interval, v float64) bool { return v >= i.From-1e-9 && v <= i.To+1e-9 }

// setAxles puts every outing's axle to one place.
func setAxles(p *plan.Plan, trailer string, at float64) *finding.Variant {
	v := finding.Variant{Name: said.Say("set the axle to % for every outing", said.Length(at))}
	for _, o := range p.OutingIDs() {
		if _, ok := p.Outings[o].Layouts[trailer]; ok {
			v.Patch = append(
				v.Patch,
				finding.Op{Op: "add", Path: "/outings/" + o + "/layouts/" + trailer + "/axleAt", Value: at},
			)
		}
	}
	if len(v.Patch) == 0 {
		return nil
	}
	return &v
}

// closers says what closes the gap where no one place suits all: a hole for each
// outing, or with the axle at its best one load moved or a weight more for each
// outing that misses.
func closers(p *plan.Plan, trailer string, best float64, rows []AxleRow) []finding.Variant {
	out := []finding.Variant{}
	moves := p.Trailers[trailer].AxleMoves
	each := finding.Variant{Name: said.Say("a hole for each outing: ")}
	settable := moves != nil
	for i := range rows {
		row := &rows[i]
		if row.Nominal == nil || moves == nil {
			settable = settable && row.Outcome == finding.Unknown
			continue
		}
		hole := float64(rig.NearestHole(moves, quantity.Length((row.Nominal.From+row.Nominal.To)/2)))
		settable = settable && inside(row.Nominal, hole)
		if len(each.Patch) > 0 {
			each.Name = append(each.Name, said.Piece{Text: "; "})
		}
		each.Name = append(append(each.Name, row.Name...), said.Say(" %", said.Length(hole))...)
		each.Patch = append(
			each.Patch,
			finding.Op{
				Op:    "add",
				Path:  "/outings/" + row.Outing + "/layouts/" + trailer + "/axleAt",
				Value: math.Round(hole*1e4) / 1e4,
			},
		)
	}
	if settable && len(each.Patch) > 0 {
		newWarner(p, trailer).warn(&each, "")
		out = append(out, each)
	}
	base := p
	var first []finding.Op
	if v := setAxles(p, trailer, best); moves != nil && v != nil {
		if q, err := plan.Apply(p, v.Patch); err == nil && len(plan.Clean(q)) == 0 {
			base, first = q, v.Patch
		}
	}
	for i := range rows {
		q := review.Request{Outing: rows[i].Outing, Trailer: trailer}
		rep := review.Again(base, q)
		for k := range rep.Findings {
			f := &rep.Findings[k]
			if f.Code != balance.CodeWindow || f.Outcome != finding.Fails {
				continue
			}
			for _, v := range candidates(base, q, f) {
				if fix, ok := tryFix(base, q, rep, f, v); ok {
					v.Name = append(
						append(said.Sentence{}, rows[i].Name...),
						append(said.Say(": "), fix.Name...)...)
					v.Patch = append(append([]finding.Op{}, first...), v.Patch...)
					out = append(out, v)
					break
				}
			}
		}
	}
	return out
}

// axleView draws the stretches as bars over one axis. They are short beside the
// trailer, so the axis shows where they lie and no more; V is to the same scale,
// a row a fourteenth of the axis.
func axleView(a *AxlePlace) *scene.View {
	from, to := a.Now, a.Now
	take := func(x float64) { from, to = min(from, x), max(to, x) }
	for i := range a.Rows {
		if n := a.Rows[i].Nominal; n != nil {
			take(n.From)
			take(min(n.To, n.From+1.5))
		}
	}
	if a.Best != nil {
		take(*a.Best)
	}
	room := max(0.1, (to-from)*0.25)
	from, to = from-room, to+room
	row := (to - from) / 14
	bar := row * 0.34
	name := from - (to-from)*0.42 // the names stand before the axis
	v := &scene.View{
		ID:    "axle",
		Title: said.Say("Where the axle can stand"),
		Min:   scene.Point{name, 0},
		Max:   scene.Point{to, row * (float64(len(a.Rows)) + 1.9)},
	}
	add := func(s ...scene.Shape) { v.Shapes = append(v.Shapes, s...) }
	bottom := row * float64(len(a.Rows))
	if c := a.Nominal; c != nil {
		add(scene.Rect("axle-common", "", max(c.From, from), 0, min(c.To, to), bottom))
	}
	for i := range a.Rows {
		r := &a.Rows[i]
		y := row * (float64(i) + 0.5)
		label := scene.Label("axle-name", "start", name, y, r.Name)
		label.Room = from - name - 0.01
		add(label, scene.Line("axle-line", from, y, to, y))
		if n := r.Nominal; n != nil {
			add(scene.Rect("axle-bar", "", max(n.From, from), y-bar, min(n.To, to), y+bar))
		} else {
			add(scene.Label("axle-none", "start", from+row*0.2, y, r.Says))
		}
		if n := r.Sure; n != nil {
			add(scene.Rect("axle-sure", "", max(n.From, from), y-bar, min(n.To, to), y+bar))
		}
	}
	add(
		scene.Line("axle-now", a.Now, 0, a.Now, bottom+0.25*row),
		scene.Label("axle-word", "middle", a.Now, bottom+0.6*row, said.Say("now %", said.Length(a.Now))),
	)
	if a.Best != nil && math.Abs(*a.Best-a.Now) > 0.002 {
		add(
			scene.Line("axle-best", *a.Best, 0, *a.Best, bottom+1.0*row),
			scene.Label("axle-word", "middle", *a.Best, bottom+1.4*row, said.Say("best %", said.Length(*a.Best))),
		)
	}
	return v
}
