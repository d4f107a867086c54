// Package review is the one door: a plan goes in, a report comes out. It is
// the live tier, made each frame while a hand moves; studies adds what is
// settled at rest.
package review

import (
	"math"
	"slices"

	"zygonos/core/ask/balance"
	"zygonos/core/ask/clearance"
	"zygonos/core/ask/fit"
	"zygonos/core/ask/frame"
	"zygonos/core/ask/lashing"
	"zygonos/core/ask/plausible"
	"zygonos/core/ask/rack"
	"zygonos/core/ask/ramp"
	"zygonos/core/ask/shift"
	"zygonos/core/ask/sway"
	"zygonos/core/ask/towing"
	"zygonos/core/ask/without"
	"zygonos/core/lang/finding"
	"zygonos/core/lang/quantity"
	"zygonos/core/lang/said"
	"zygonos/core/lang/scene"
	"zygonos/core/plan"
	"zygonos/core/rig"
)

// Request says which outing on which trailer is judged. Empty ones mean the
// plan's first outing and its chosen (or first) trailer.
type Request struct {
	Outing  string `json:"outing"`
	Trailer string `json:"trailer"`
	// the stage on screen: what is slow and of another is not asked or drawn until it rests (Follow); empty asks all
	Stage string `json:"stage,omitempty"`
}

// Report is what the plan comes to for one outing on one trailer.
type Report struct {
	Scope     finding.Scope         `json:"scope"`
	Headline  Headline              `json:"headline"`
	Figures   Figures               `json:"figures"`
	Chain     []towing.Link         `json:"chain"`
	Payload   *towing.Payload       `json:"payload,omitempty"`
	Findings  []finding.Finding     `json:"findings"`
	Views     []scene.View          `json:"views"`
	Next      []Next                `json:"next"`
	Problems  []plan.Problem        `json:"problems"`
	Questions []plausible.Question  `json:"questions"`
	Stages    []StageState          `json:"stages"`
	Outings   []OutingState         `json:"outings,omitempty"` // settled
	Things    []Thing               `json:"things"`
	Settled   bool                  `json:"settled"`
	EmptyWay  string                `json:"emptyWay,omitempty"`
	Wants     []fit.State           `json:"wants"` // an outing to be carried is judged when settled
	Fills     []towing.Fill         `json:"fills"`
	Bare      *finding.Measure      `json:"bare,omitempty"`   // payload as the trailer is sold
	FitOut    *finding.Measure      `json:"fitOut,omitempty"` // and after what is fitted
	Labels    []towing.LabelReading `json:"labels,omitempty"` // the label's number read both ways
	Sway      *sway.Chart           `json:"sway,omitempty"`   // settled
	Swing     *clearance.Swing      `json:"swing,omitempty"`  // settled
	Racks     []rack.Built          `json:"racks"`
	Frame     *frame.Picture        `json:"frame,omitempty"`   // the trailer's own, where it is drawn
	Ways      []shift.Way           `json:"ways,omitempty"`    // to move a heavy thing
	Without   []without.Other       `json:"without,omitempty"` // the same job without the trailer
	Loaders   *ramp.Loaders         `json:"loaders,omitempty"`
	Drive     *ramp.DriveOn         `json:"drive,omitempty"`     // settled
	Tied      []lashing.Tied        `json:"tied,omitempty"`      // settled
	TieSays   said.Sentence         `json:"tieSays,omitempty"`   // settled: Tie-down's one answer
	Schools   []rack.HullSupport    `json:"schools,omitempty"`   // of supporting hulls
	NotLooked said.Sentence         `json:"notLooked,omitempty"` // settled: what its time did not reach

	Placed map[string]plan.Placement `json:"placed,omitempty"` // by the app, by their path

	rig       *rig.Rig
	stage     string                // on screen
	drawn     bool                  // it is for the screen
	drawFrame func() *frame.Picture // as it is judged live
}

// shows reports whether a stage is on screen, or all of them are asked for.
func (rep *Report) shows(stage string) bool { return rep.stage == "" || rep.stage == stage }

// Headline is the answer in a sentence.
type Headline struct {
	Outcome finding.Outcome `json:"outcome"`
	Says    said.Sentence   `json:"says"`
	Checked int             `json:"checked"`        // essential links judged …
	Of      int             `json:"of"`             // … of so many
	Code    string          `json:"code,omitempty"` // of the finding that it tells, where it tells one
}

// Figures are the figures that stand on top.
type Figures struct {
	Mass   *finding.Measure `json:"mass,omitempty"`
	Ball   *finding.Measure `json:"ball,omitempty"`
	Axle   *finding.Measure `json:"axle,omitempty"`
	Share  *finding.Measure `json:"share,omitempty"`
	Left   *finding.Measure `json:"left,omitempty"`
	Right  *finding.Measure `json:"right,omitempty"`
	Cargo  *finding.Measure `json:"cargo,omitempty"`
	Window *balance.Window  `json:"window,omitempty"`
}

// Thing is a placed load or part, or the axle, as the tray under the drawings
// shows it.
type Thing struct {
	Path     string           `json:"path"`  // of the thing
	Place    string           `json:"place"` // of its placement
	Name     string           `json:"name"`
	Part     bool             `json:"part,omitempty"`
	OnDeck   bool             `json:"onDeck"`
	Back     float64          `json:"back"`
	Right    float64          `json:"right"`
	Mass     *finding.Measure `json:"mass,omitempty"`
	Carriers []Carrier        `json:"carriers"` // what it may stand on
	Tapes    []Tape           `json:"tapes"`
}

// Carrier is something that a load may stand on.
type Carrier struct {
	On   plan.Support `json:"on"`
	ID   string       `json:"id,omitempty"`
	Slot string       `json:"slot,omitempty"`
	Name string       `json:"name"`
}

// maxCarriers is how many are offered.
const maxCarriers = 40

// carriers lists what a load may stand on: the deck, slots of parts that are
// on, and loads that do not stand on it themselves.
func carriers(r *rig.Rig, it *rig.Item) []Carrier {
	out := []Carrier{}
	if it.Part || r.Layout == nil {
		return out
	}
	out = append(out, Carrier{On: plan.OnDeck})
	for i := range r.Items {
		if len(out) == maxCarriers {
			break
		}
		o := &r.Items[i]
		if o.Part {
			part := r.Plan.Parts[o.ID]
			if part.Cradle != nil {
				out = append(out, Carrier{On: plan.OnPart, ID: o.ID, Name: part.Name})
			}
			for _, id := range plan.Ordered(part.Slots, func(s plan.Slot) int { return s.Order }) {
				if _, on := r.Layout.Parts[o.ID]; on {
					out = append(out, Carrier{plan.OnPart, o.ID, id, part.Name + ", " + part.Slots[id].Name})
				}
			}
			continue
		}
		if o.ID != it.ID && !standsOn(r, o.ID, it.ID) {
			out = append(out, Carrier{On: plan.OnLoad, ID: o.ID, Name: o.Name})
		}
	}
	return out
}

// standsOn reports whether a load stands on another, at whatever height.
func standsOn(r *rig.Rig, id, on string) bool {
	for range r.Items {
		pl, ok := r.Layout.Placements[id]
		if !ok || pl.On != plan.OnLoad {
			return false
		}
		if pl.ID == on {
			return true
		}
		id = pl.ID
	}
	return false
}

// Tape is one way to tell where a thing stands: its distance from a mark to
// its near face is Sign·Back + Offset, m.
type Tape struct {
	From   string  `json:"from"` // board, tail, axle or carrier
	Sign   float64 `json:"sign"`
	Offset float64 `json:"offset"`
}

// Next is something to weigh or find out, most useful first.
type Next struct {
	Path  string        `json:"path"`
	Says  said.Sentence `json:"says"`
	Where said.Sentence `json:"where,omitempty"`
}

// StageState is a stage of the work with its worst outcome.
type StageState struct {
	ID      string          `json:"id"`
	Outcome finding.Outcome `json:"outcome"`
	// what it takes at least, while the plan gives it no answer; what happened stands beside the plan and
	// may give one
	Least said.Sentence `json:"least,omitempty"`
}

// OutingState is an outing with its worst outcome.
type OutingState struct {
	ID      string          `json:"id"`
	Outcome finding.Outcome `json:"outcome"`
}

// Review cleans the plan, in place, and judges one outing on one trailer.
func Review(p *plan.Plan, q Request) *Report {
	problems := Ready(p)
	rep, r := verdict(p, Pick(p, q), true)
	draw(rep, r)
	if problems != nil {
		rep.Problems = problems
	}
	rep.Questions = append(rep.Questions, plausible.Ask(p)...)
	return rep
}

// Pick fills a request with the plan's first outing and chosen trailer.
func Pick(p *plan.Plan, q Request) Request {
	if _, ok := p.Outings[q.Outing]; !ok {
		q.Outing = ""
		if ids := p.OutingIDs(); len(ids) > 0 {
			q.Outing = ids[0]
		}
	}
	if _, ok := p.Trailers[q.Trailer]; !ok {
		q.Trailer = p.Chosen
		if ids := p.TrailerIDs(); q.Trailer == "" && len(ids) > 0 {
			q.Trailer = ids[0]
		}
	}
	return q
}

// Again judges a plan that is clean already, without drawings, things and what
// to do next.
func Again(p *plan.Plan, q Request) *Report {
	fill(p)
	rep, _ := verdict(p, Pick(p, q), false)
	return rep
}

// Working gives the working of the finding with that key, or nil.
func Working(p *plan.Plan, q Request, key string) []finding.Step {
	Ready(p)
	rep := Again(p, q)
	for i := range rep.Findings {
		if f := &rep.Findings[i]; f.Key() == key && f.Work != nil {
			return f.Work()
		}
	}
	return nil
}

// verdict asks every question of one rig, in detail where each usual length is looked at alone.
// The rig is nil where there is none.
func verdict(p *plan.Plan, q Request, detail bool) (*Report, *rig.Rig) {
	rep := &Report{
		Scope: finding.Scope{
			Trailer: q.Trailer,
			Outing:  q.Outing,
		}, Chain: []towing.Link{}, Findings: []finding.Finding{}, Views: []scene.View{},
		Next: []Next{}, Things: []Thing{}, Problems: []plan.Problem{}, Questions: []plausible.Question{}, Wants: []fit.State{}, Fills: []towing.Fill{}, Racks: []rack.Built{},
		stage: q.Stage,
	}
	r := rig.Resolve(p, q.Trailer, q.Outing)
	if r == nil {
		rep.Headline = Headline{
			Outcome: finding.Unknown,
			Says:    said.Say("No trailer yet. Add the trailer first."),
		}
		rep.Stages = stages(nil, nil)
		return rep, nil
	}
	rep.EmptyWay = r.EmptyWay
	rep.Findings = ask(r, rep)
	roughly(r, rep.Findings, detail, all)
	finding.Sense(rep.Findings)
	finding.Sort(rep.Findings)
	if t := r.Total(); t != nil {
		rep.Figures.Mass = finding.Of(quantity.KindMass, *t)
	}
	if c := r.Cargo(); c != nil {
		rep.Figures.Cargo = finding.Of(quantity.KindMass, *c)
	}
	if b := r.Bears; b != nil {
		rep.Figures.Ball, rep.Figures.Axle = finding.Of(
			quantity.KindMass,
			b.Ball,
		), finding.Of(
			quantity.KindMass,
			b.OnAxle,
		)
		if b.Share != nil {
			rep.Figures.Share = finding.Of(quantity.KindShare, *b.Share)
		}
		if b.Left != nil {
			rep.Figures.Left, rep.Figures.Right = finding.Of(
				quantity.KindMass,
				*b.Left,
			), finding.Of(
				quantity.KindMass,
				*b.Right,
			)
		}
	}
	if f, _, any := placed(r); any {
		rep.Findings = append(rep.Findings, f)
	}
	rep.rig = r
	rep.head()
	finding.Sort(rep.Findings)
	rep.Stages = stages(rep.Findings, r)
	rep.Placed = PlacedOf(p)
	return rep, r
}

// draw adds what the screen shows beside the answers.
func draw(rep *Report, r *rig.Rig) {
	if r == nil {
		return
	}
	rep.Views = append(r.Views(), balance.Beam(r, rep.Figures.Window))
	for i := range Questions {
		if q := &Questions[i]; q.Draw != nil {
			safely(q.Stage, func() bool { q.Draw(r, rep); return true })
		}
	}
	zones(rep, r)
	rep.Things = things(r)
	rep.drawn = true
	rep.findNext()
	for i := range rep.Views {
		rep.Views[i].Sense()
	}
}

// findNext lists what to weigh or find next, by the findings that there are.
func (rep *Report) findNext() {
	rep.Next = slices.DeleteFunc(
		next(rep.rig, rep.Findings),
		func(n Next) bool { return !n.Says.Finite() || !n.Where.Finite() },
	)
}

// things tells where each placed thing stands, from the front board, the tail
// and the axle to its near face.
func things(r *rig.Rig) []Thing {
	out := []Thing{}
	front, rear := r.Deck()
	for i := range r.Items {
		it := &r.Items[i]
		t := Thing{
			Path:   it.Path,
			Place:  it.PlacePath,
			Name:   it.Name,
			Part:   it.Part,
			OnDeck: it.OnDeck,
			Back:   float64(it.At.Back),
			Right:  float64(it.At.Right),
		}
		if it.Mass != nil {
			t.Mass = finding.Of(quantity.KindMass, *it.Mass)
		}
		t.Carriers = carriers(r, it)
		shift := it.Front - t.Back // x of the face is Back + shift
		if it.OnDeck {
			t.Tapes = append(t.Tapes, Tape{"board", 1, 0})
		} else {
			t.Tapes = append(t.Tapes, Tape{"carrier", 1, 0}, Tape{"board", 1, shift - front})
		}
		t.Tapes = append(t.Tapes, Tape{"tail", -1, rear - it.Length() - shift})
		if r.Axle != nil {
			if it.X <= r.Axle.Nominal { // in front of the axle: to its rear face
				t.Tapes = append(t.Tapes, Tape{"axle", -1, r.Axle.Nominal - it.Length() - shift})
			} else {
				t.Tapes = append(t.Tapes, Tape{"axle", 1, shift - r.Axle.Nominal})
			}
		}
		out = append(out, t)
	}
	return out
}

// HeadlineOf is the answer that those of the findings come to that count; they
// stand worst first.
func HeadlineOf(fs []finding.Finding, counts func(*finding.Finding) bool) Headline {
	h := Headline{Outcome: finding.Holds}
	var tight, worst *finding.Finding
	fails, open := 0, false
	for i := range fs {
		f := &fs[i]
		if f.Compares || !counts(f) {
			continue
		}
		if f.Essential {
			h.Of++
			if f.Outcome != finding.Unknown {
				h.Checked++
			} else {
				open = true
			}
		}
		switch f.Outcome {
		case finding.Fails:
			if fails++; worst == nil {
				worst = f
			}
		case finding.Tight:
			if tight == nil {
				tight = f
			}
		}
	}
	checked := said.Say("% of % essential links checked", said.Count(h.Checked), said.Count(h.Of))
	switch {
	case worst != nil:
		h.Outcome = finding.Fails
		h.Says, h.Code = worst.Says, worst.Code
	case open:
		h.Outcome = finding.Unknown
		h.Says = append(append(said.Say("Nothing fails yet: "), checked...), said.Piece{Text: "."})
	case tight != nil:
		h.Outcome = finding.Tight
		h.Says, h.Code = tight.Says, tight.Code
	default:
		h.Says = append(append(said.Say("Nothing fails: "), checked...), said.Piece{Text: "."})
	}
	return h
}

// next lists what to weigh or find out: what nothing can be said without, the
// guess that widens the ball load's range most, then what the essential checks
// lack.
func next(r *rig.Rig, fs []finding.Finding) []Next {
	out := []Next{}
	seen := map[string]bool{}
	add := func(n finding.Need) {
		if !seen[n.Path] && len(out) < 12 {
			seen[n.Path] = true
			out = append(out, Next{n.Path, n.Says, n.Where})
		}
	}
	for _, n := range slices.Concat(r.Needs, r.Usual) {
		add(n)
	}
	if r.Bears != nil {
		for _, g := range r.Beam.Guesses() {
			if g.Width < math.Max(1, 0.01*r.Bears.Mass.Nominal) {
				break
			}
			says := said.Say(
				"weigh %: it moves the {ball load} by ±%",
				said.Name(g.Name, "the load"),
				said.Mass(g.Width/2),
			)
			if g.Place {
				says = append(
					r.PlaceAdvice(g),
					said.Say("; it moves the {ball load} by ±%", said.Mass(g.Width/2))...)
			}
			add(finding.Need{Path: g.Path, Says: says})
			if len(out) >= 2 {
				break
			}
		}
	}
	for _, essential := range []bool{true, false} {
		for i := range fs {
			if fs[i].Outcome == finding.Unknown && fs[i].Essential == essential {
				for _, n := range fs[i].Needs {
					add(n)
				}
			}
		}
	}
	return out
}

// Settle adds the findings that are made only at rest, and what hangs on them.
func (rep *Report) Settle() {
	r := rep.rig
	if r == nil {
		return
	}
	fs := rest(r)
	roughly(r, fs, false, rest)
	finding.Sense(fs)
	for i := range fs {
		fs[i].Rest = true
	}
	rep.Findings = append(rep.Findings, fs...)
	rep.weigh()
}

// weigh puts the findings in order again, with the stages' outcomes and the headline.
func (rep *Report) weigh() {
	finding.Sort(rep.Findings)
	rep.Stages = stages(rep.Findings, rep.rig)
	rep.head()
	if rep.drawn {
		rep.findNext()
	}
}

// Show adds what the screen shows at rest beside the answers.
func (rep *Report) Show() {
	for i := range Questions {
		if q := &Questions[i]; q.Show != nil && rep.rig != nil {
			safely(q.Stage, func() bool { q.Show(rep.rig, rep); return true })
		}
	}
}

func stages(fs []finding.Finding, r *rig.Rig) []StageState {
	out := []StageState{}
	for _, id := range Stages {
		s := StageState{ID: id, Least: leastOf(id, fs, r)}
		open := false // something minor
		for i := range fs {
			if fs[i].Stage != id || fs[i].Compares {
				continue
			}
			// A minor unknown does not hide what is tight in a stage; a load that is not tied is none.
			if fs[i].Outcome != finding.Unknown || fs[i].Essential || id == lashing.Stage {
				s.Outcome = finding.Worse(s.Outcome, fs[i].Outcome)
			} else if fs[i].Gate != "" {
				open = true
			}
		}
		if s.Outcome == finding.Holds && open { // it does not hold while that is not known
			s.Outcome = finding.Unknown
		}
		out = append(out, s)
	}
	return out
}
