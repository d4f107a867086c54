// Package balance answers where the weight presses: ball load against its
// window, left against right, and what is read on a scale against what is to
// be expected. Formulas: docs/method/balance.md and docs/method/ranges.md.
package balance

import (
	"math"
	"strings"

	"zygonos/core/facts/norms"
	"zygonos/core/lang/finding"
	"zygonos/core/lang/quantity"
	"zygonos/core/lang/said"
	"zygonos/core/plan"
	"zygonos/core/rig"
	"zygonos/core/sums/statics"
)

type span = quantity.Range[float64]

// Codes of the findings made here.
const (
	CodeWindow  = "balance.ball-window"
	CodeSides   = "balance.sides"
	CodeReading = "balance.reading"
	CodeOffDeck = "balance.off-deck"
	CodeSurge   = "balance.surge"
	CodeSettle  = "balance.settle"
	CodeFills   = "balance.fills"
)

// Stage under which the findings stand.
const Stage = "balance"

// What a check on the window ends on where the weight has to go another way.
const (
	MoveForward = " Move weight forward."
	MoveBack    = " Move weight back."
)

// windowReserve is the share of the window's width that counts as little room.
const windowReserve = 0.05

// Window is where the ball load of a rig should lie.
type Window struct {
	LowShare  float64 `json:"lowShare"`
	HighShare float64 `json:"highShare"`
	Low       float64 `json:"low"`              // kg, at the nominal mass
	High      float64 `json:"high"`             // kg, at the nominal mass, under every cap
	Capped    string  `json:"capped,omitempty"` // path of the limit that caps it
}

// Result is what balance finds of a rig.
type Result struct {
	Window   *Window
	Findings []finding.Finding
}

// Check judges one rig.
func Check(r *rig.Rig) Result {
	var out Result
	out.Window = window(r)
	out.Findings = append(out.Findings, ballWindow(r, out.Window))
	if f, ok := sides(r); ok {
		out.Findings = append(out.Findings, f)
	}
	out.Findings = append(out.Findings, offDeck(r)...)
	out.Findings = append(out.Findings, readings(r)...)
	out.Findings = append(out.Findings, surges(r)...)
	return out
}

// window: low = share·m, or the school's floor where that is less;
// high = share·m, at most the least of the ball-load limits.
func window(r *rig.Rig) *Window {
	total := r.Total()
	if total == nil || total.Nominal <= 0 {
		return nil
	}
	return windowAt(r, total.Nominal)
}

// windowAt is the window at a mass, kg.
func windowAt(r *rig.Rig, m float64) *Window {
	s := r.School
	w := &Window{Low: s.Low * m, High: s.High * m}
	if s.Floor > 0 {
		w.Low = math.Min(w.Low, float64(s.Floor))
	}
	for _, c := range BallLimits(r) {
		if c.Limit < w.High {
			w.High, w.Capped = c.Limit, c.Path
		}
	}
	w.LowShare, w.HighShare = w.Low/m, w.High/m
	return w
}

// BallLimit is one of the limits on the ball load that are known.
type BallLimit struct {
	Path  string
	Limit float64 // kg
}

// BallLimits lists the ball-load limits that are known: car, hitch, coupling.
func BallLimits(r *rig.Rig) []BallLimit {
	var out []BallLimit
	add := func(path string, v *quantity.Mass) {
		if v != nil {
			out = append(out, BallLimit{path, float64(*v)})
		}
	}
	if v := r.Vehicle; v != nil {
		add("/towVehicles/"+r.VehicleID+"/ballLimit", v.BallLimit)
		add("/towVehicles/"+r.VehicleID+"/hitchBall", v.HitchBall)
		if m := r.Mount; m != nil {
			add("/ballMounts/"+v.Mount+"/ball", m.Ball)
		}
	}
	add("/trailers/"+r.Scope.Trailer+"/couplingBall", r.Trailer.CouplingBall)
	return out
}

// Margins are how far the ball load lies over the low end of its window and
// under its high end, as shares of the rig's mass; negative outside. With sure
// they are those at the ends of the guesses' range, which settle the window
// whatever the guesses. Without an answer both are minus infinity.
func Margins(r *rig.Rig, sure bool) (low, high float64) {
	if r.Bears == nil || r.Bears.Share == nil || !(r.Bears.Mass.Nominal > 0) {
		return math.Inf(-1), math.Inf(-1)
	}
	b, m := r.Bears, r.Bears.Mass.Nominal
	cap := math.Inf(1)
	for _, c := range BallLimits(r) {
		cap = math.Min(cap, c.Limit)
	}
	share, ball := b.Share.Nominal, b.Ball.Nominal
	low, high = share-r.School.Low, r.School.High-share
	if !sure {
		if r.School.Floor > 0 {
			low = math.Max(low, (ball-float64(r.School.Floor))/m)
		}
		return low, math.Min(high, (cap-ball)/m)
	}
	low, high = b.Share.Low-r.School.Low, math.Min(r.School.High-b.Share.High, (cap-b.Ball.High)/m)
	if r.School.Floor > 0 {
		low = math.Max(low, r.Beam.AtLeastEither(r.School.Low, float64(r.School.Floor))/m)
	}
	return low, high
}

// Misses reports whether the nominal ball load lies outside its window or over
// the lowest limit on it.
func Misses(r *rig.Rig) bool {
	if r.Bears == nil || r.Bears.Share == nil {
		return false
	}
	low, high := Margins(r, false)
	return low < -1e-9 || high < -1e-9
}

func ballWindow(r *rig.Rig, w *Window) finding.Finding {
	f := finding.Finding{
		Code: CodeWindow, Stage: Stage, Scope: r.Scope, Gate: finding.GateGo, Essential: true,
		Subject: "/trailers/" + r.Scope.Trailer, Title: said.Say("{Ball load}"), Source: &r.School.Source,
	}
	f.Scope.School = r.School.ID
	if r.Bears == nil || r.Bears.Share == nil || w == nil {
		f.Outcome, f.Needs = finding.Unknown, r.Needs
		f.Says = said.Say("{Ball load} not known: fill in the rest first.")
		if len(r.Needs) > 0 {
			f.Says = append(said.Say("{Ball load} not known: enter "), r.Needs[0].Says...)
			f.Says = append(f.Says, said.Piece{Text: "."})
		}
		return f
	}
	b := r.Bears
	share := *b.Share
	// The share's doubt must not widen what "or 25 kg" already settles.
	lowHolds := !quantity.Exceeds(w.Low, b.Ball.Nominal)
	lowSure := share.Low >= r.School.Low-1e-9
	if r.School.Floor > 0 && !lowSure {
		lowSure = r.Beam.AtLeastEither(r.School.Low, float64(r.School.Floor)) >= -1e-9
	}
	highHolds := !quantity.Exceeds(share.Nominal, r.School.High)
	highSure := !quantity.Exceeds(share.High, r.School.High)
	state, stateShare, stateBall := worstState(r)
	_, stateBorne := borne(r, stateBall)
	f.Figure = finding.Of(quantity.KindMass, b.Ball)
	f.HasWork, f.Work = true, func() []finding.Step { return steps(r, w) }
	ball, pct := said.Mass(b.Ball.Nominal), said.Share(share.Nominal)
	low, high := said.Share(r.School.Low), said.Share(r.School.High)
	limit := func(v float64) {
		f.Limit = finding.Exactly(quantity.KindMass, v)
	}
	width := r.School.High - r.School.Low
	margin := math.Min(share.Nominal-w.LowShare, r.School.High-share.Nominal) / width
	f.Margin = &margin
	switch {
	case w.High < w.Low:
		f.Outcome = finding.Fails
		limit(w.High)
		f.Says = said.Say(
			"No {ball load} fits: this trailer needs % or more, and the lowest limit is %. Carry less, or fit a hitch rated for it.",
			said.Mass(w.Low),
			said.Mass(w.High),
		)
	case b.Ball.Nominal < 0.01*b.Mass.Nominal:
		f.Outcome = finding.Fails
		limit(w.Low)
		f.Says = append(
			said.Say("{Ball load} %: the trailer will sway and lift the car's tail.", ball),
			said.Piece{Text: MoveForward})
	case !lowHolds:
		f.Outcome = finding.Fails
		limit(w.Low)
		f.Says = append(
			said.Say("{Ball load} %, %: below the window of % to %.", ball, pct, low, high),
			said.Piece{Text: MoveForward})
	case Heavy(r) && (state == nil || stateShare > r.School.High && stateBorne):
		limit(r.School.High * b.Mass.Nominal)
		most, _ := borne(r, b.Ball.Nominal)
		f.Outcome, f.Tight = finding.Tight, finding.LittleRoom
		f.Says = append(
			said.Say("{Ball load} %, %: above the usual % to %, within its limit of %.", ball, pct, low, high, said.Mass(most)),
			said.Piece{Text: MoveBack})
		if !lowSure { // what is too light at the other end matters more
			f.Tight = finding.GuessTooRough
			f.Says = append(
				said.Say("{Ball load} %, %: above the usual % to %, but the guesses allow % to %. ",
					ball, pct, low, high, said.Share(share.Low), said.Share(share.High)),
				weighFirst(r, r.School.Low, true)...)
		}
	case !highHolds && !Heavy(r):
		limit(r.School.High * b.Mass.Nominal)
		f.Outcome = finding.Fails
		f.Says = append(
			said.Say("{Ball load} %, %: above the window of % to %.", ball, pct, low, high),
			said.Piece{Text: MoveBack})
	case state != nil:
		f.Outcome = finding.Fails
		word := "below"
		limit(w.Low)
		if stateShare > r.School.High {
			word = "above"
			limit(r.School.High * b.Mass.Nominal)
			if stateBorne {
				f.Outcome, f.Tight = finding.Tight, finding.LittleRoom
			}
		}
		f.Says = append(
			append(said.Say("Full, the {ball load} is %. Without ", pct), state...),
			said.Say(" it is %: "+word+" the window of % to %.", said.Share(stateShare), low, high)...)
	case !lowSure || !highSure:
		f.Outcome, f.Tight = finding.Tight, finding.GuessTooRough
		edge, word := r.School.Low, "low"
		if lowSure {
			edge, word = r.School.High, "high"
		}
		limit(edge * b.Mass.Nominal)
		f.Says = append(
			said.Say(
				"{Ball load} %, %, but the guesses allow % to %. ",
				ball,
				pct,
				said.Share(share.Low),
				said.Share(share.High),
			),
			weighFirst(r, edge, word == "low")...)
	case margin < windowReserve:
		f.Outcome, f.Tight = finding.Tight, finding.LittleRoom
		limit(w.Low)
		if share.Nominal > (r.School.Low+r.School.High)/2 {
			limit(r.School.High * b.Mass.Nominal)
		}
		f.Says = said.Say("{Ball load} %, %: just inside the window of % to %.", ball, pct, low, high)
	default:
		f.Outcome = finding.Holds
		limit(w.High)
		f.Says = said.Say("{Ball load} %, %: inside the window of % to %.", ball, pct, low, high)
	}
	return f
}

// Heavy reports whether the nominal ball load lies above its window and within every limit on it that is
// known.
func Heavy(r *rig.Rig) bool {
	if r.Bears == nil || r.Bears.Share == nil || !quantity.Exceeds(r.Bears.Share.Nominal, r.School.High) {
		return false
	}
	_, ok := borne(r, r.Bears.Ball.Nominal)
	return ok
}

// borne reports whether a ball load lies within every limit on it that is known, one at least, and the
// least of them: over a window that is practice it is then heavy and no more.
func borne(r *rig.Rig, ball float64) (least float64, ok bool) {
	limits := BallLimits(r)
	least = math.Inf(1)
	for _, c := range limits {
		least = math.Min(least, c.Limit)
	}
	return least, len(limits) > 0 && !quantity.Exceeds(ball, least)
}

// absentName names what a group of terms stands for.
func absentName(r *rig.Rig, group string) said.Sentence {
	if id, ok := strings.CutPrefix(group, "part "); ok {
		return said.Say("%", said.Name(r.Plan.Parts[id].Name, "a part"))
	}
	if id, ok := strings.CutSuffix(group, "/fluid"); ok {
		return said.Say("what is in %", said.Name(r.Plan.Loads[id].Name, "the tank"))
	}
	return said.Say("%", said.Name(r.Plan.Loads[group].Name, "a load"))
}

// worstState names what is left at home where a partial state, by the nominal
// figures, misses the window, the share that it comes to, and the most that the ball
// bears in any state, kg; nil where every state is inside. The full state is judged on its own.
func worstState(r *rig.Rig) (absent said.Sentence, share, most float64) {
	if !r.Beam.Optional() {
		return nil, 0, 0
	}
	states := r.Beam.States()
	s, ok := states.Solve()
	if !ok || s.Share == nil {
		return nil, 0, 0
	}
	high := quantity.Exceeds(s.Share.High, r.School.High)
	low := s.Share.Low < r.School.Low-1e-9 &&
		!(r.School.Floor > 0 && states.AtLeastEither(r.School.Low, float64(r.School.Floor)) >= -1e-9)
	if !high && !low {
		return nil, 0, 0
	}
	worst, greatest := s.Share.Low, false // under it fails whatever the limits
	if !low {
		worst, greatest = s.Share.High, true
	}
	var out said.Sentence
	for i, id := range states.Absent(greatest) {
		if i > 0 {
			out = append(out, said.Piece{Text: " and "})
		}
		out = append(out, absentName(r, id)...)
	}
	if out == nil {
		return nil, 0, 0
	}
	return out, worst, s.Ball.High
}

// weighFirst names the guess that widens the range most and the mass at which
// it would leave the window.
func weighFirst(r *rig.Rig, edge float64, low bool) said.Sentence {
	guesses := r.Beam.Guesses()
	if len(guesses) == 0 {
		return nil
	}
	g := guesses[0]
	name := said.Name(g.Name, "it")
	if g.Place {
		return append(said.Say("Next: "), append(r.PlaceAdvice(g), said.Piece{Text: "."})...)
	}
	at, ok := r.Beam.BreakEven(g.Path, edge)
	for i := range r.Beam.Terms {
		t := &r.Beam.Terms[i]
		if !ok || t.Path != g.Path || at < t.Amount.Low || at > t.Amount.High {
			continue
		}
		heavier := at > t.Amount.Nominal
		if heavier {
			return said.Say("Weigh % first: in the window while it is under %.", name, said.Mass(at))
		}
		return said.Say("Weigh % first: in the window while it is over %.", name, said.Mass(at))
	}
	return said.Say("Weigh % first.", name)
}

func steps(r *rig.Rig, w *Window) []finding.Step {
	b := r.Bears
	out := r.SupportSteps()
	out = append(out, finding.Step{
		Symbol: "s", Says: said.Say("share of the loaded trailer"), Formula: "s = R_ball / m",
		Result: finding.Of(quantity.KindShare, *b.Share),
		Terms: []finding.StepTerm{
			{
				Symbol:  "R_ball",
				Says:    said.Say("{ball load}"),
				Measure: finding.Of(quantity.KindMass, b.Ball),
				How:     "computed",
			},
			{
				Symbol:  "m",
				Says:    said.Say("the loaded trailer"),
				Measure: finding.Of(quantity.KindMass, b.Mass),
				How:     "computed",
			},
		},
	})
	s := r.School
	formula := "low = s_low·m, high = s_high·m, at most the lowest limit"
	if s.Floor > 0 {
		formula = "low = min(s_low·m, floor), high = min(s_high·m, the lowest limit)"
	}
	win := finding.Step{
		Symbol:  "window",
		Says:    said.Say("% — %", said.Piece{Text: s.Name}, said.Piece{Text: s.Reason}),
		Formula: formula,
		Source:  &s.Source,
		Result:  finding.Of(quantity.KindMass, span{Nominal: (w.Low + w.High) / 2, Low: w.Low, High: w.High}),
		Terms: []finding.StepTerm{
			{
				Symbol:  "s_low",
				Says:    said.Say("least share"),
				Measure: finding.Exactly(quantity.KindShare, s.Low),
				How:     "rule followed",
			},
			{
				Symbol:  "s_high",
				Says:    said.Say("greatest share"),
				Measure: finding.Exactly(quantity.KindShare, s.High),
				How:     "rule followed",
			},
		},
	}
	if s.Floor > 0 {
		win.Terms = append(
			win.Terms,
			finding.StepTerm{
				Symbol:  "floor",
				Says:    said.Say("always enough"),
				Measure: finding.Exactly(quantity.KindMass, s.Floor),
				How:     "rule followed",
			},
		)
	}
	for _, c := range BallLimits(r) {
		win.Terms = append(
			win.Terms,
			finding.StepTerm{
				Symbol:  "cap",
				Says:    said.Say("{ball load} limit"),
				Measure: finding.Exactly(quantity.KindMass, c.Limit),
				How:     string(plan.Plate),
				Path:    c.Path,
			},
		)
	}
	return append(out, win)
}

// sideReserve is the difference between the wheels, as a share of the axle's
// load, from which a rig is stated to be lopsided.
const sideReserve = 0.10

func sides(r *rig.Rig) (finding.Finding, bool) {
	f := finding.Finding{Code: CodeSides, Stage: Stage, Scope: r.Scope, Gate: finding.GateGo,
		Subject: "/trailers/" + r.Scope.Trailer, Title: said.Say("Left and right"), Source: norms.Practice("wheels within a tenth of the axle's load")}
	if r.Trailer.Track == nil {
		f.Outcome, f.Says = finding.Unknown, said.Say("Left and right not known: enter the track.")
		f.Needs = []finding.Need{
			{
				Path:  "/trailers/" + r.Scope.Trailer + "/track",
				Says:  said.Say("the track"),
				Where: said.Say("Tape between the middles of the {tyre}s."),
			},
		}
		return f, true
	}
	if r.Bears == nil || r.Bears.OnAxle.Nominal <= 0 {
		return f, false
	}
	left, right := *r.Bears.Left, *r.Bears.Right
	diff := (right.Nominal - left.Nominal) / r.Bears.OnAxle.Nominal
	more, heavy, light := "right", right, left
	if diff < 0 {
		more, heavy, light = "left", left, right
	}
	part := math.Abs(diff)
	margin := 1 - part/sideReserve
	f.Margin = &margin
	f.Figure, f.Limit = finding.Exactly(quantity.KindShare, part), finding.Exactly(quantity.KindShare, sideReserve)
	f.HasWork, f.Work = true, func() []finding.Step { return sideSteps(r, left, right) }
	switch {
	case light.Nominal <= 0:
		f.Outcome = finding.Fails
		f.Says = said.Say(
			"One wheel lifts: all the weight stands on the " + more + ". Move the load to the middle.",
		)
	case quantity.Exceeds(part, sideReserve):
		f.Outcome, f.Tight = finding.Tight, finding.LittleRoom
		f.Says = said.Say(
			"The "+more+" wheel bears %, the other %. Move weight across.",
			said.Mass(heavy.Nominal),
			said.Mass(light.Nominal),
		)
	default:
		f.Outcome = finding.Holds
		f.Says = said.Say("Left % and right %: even enough.", said.Mass(left.Nominal), said.Mass(right.Nominal))
	}
	return f, true
}

func sideSteps(r *rig.Rig, left, right span) []finding.Step {
	side := 0.0
	for i := range r.Beam.Terms {
		side += r.Beam.Terms[i].Amount.Nominal * r.Beam.Terms[i].Side.Nominal
	}
	terms := []finding.StepTerm{
		{
			Symbol:  "R_axle",
			Says:    said.Say("on the axle"),
			Measure: finding.Of(quantity.KindMass, r.Bears.OnAxle),
			How:     "computed",
		},
		{
			Symbol:  "Σm·y/R_axle",
			Says:    said.Say("mean distance to the right"),
			Measure: finding.Exactly(quantity.KindLength, side/r.Bears.OnAxle.Nominal),
			How:     "computed",
		},
		{
			Symbol:  "t",
			Says:    said.Say("track"),
			Measure: finding.Exactly(quantity.KindLength, r.Beam.Track),
			How:     string(r.Trailer.Track.How),
		},
	}
	return append(
		r.SupportSteps(),
		finding.Step{
			Symbol:  "R_right",
			Says:    said.Say("right side"),
			Formula: "R_right = R_axle/2 + Σ mᵢ·yᵢ / t",
			Result:  finding.Of(quantity.KindMass, right),
			Terms:   terms,
		},
		finding.Step{
			Symbol:  "R_left",
			Says:    said.Say("left side"),
			Formula: "R_left = R_axle − R_right",
			Result:  finding.Of(quantity.KindMass, left),
		},
	)
}

// offDeck tells of loads on the deck whose weight lies beyond its edges.
func offDeck(r *rig.Rig) []finding.Finding {
	if r.DeckFront == nil || r.Trailer.DeckLength == nil {
		return nil
	}
	front, rear := r.Deck()
	half := r.DeckWidth() / 2
	var out []finding.Finding
	for i := range r.Items {
		it := &r.Items[i]
		wide := r.Trailer.DeckWidth != nil && (it.Y < -half || it.Y > half)
		if !it.OnDeck || it.Part || it.X >= front && it.X <= rear && !wide {
			continue
		}
		out = append(
			out,
			finding.Finding{
				Code:    CodeOffDeck,
				Stage:   Stage,
				Scope:   r.Scope,
				Gate:    finding.GateGo,
				Outcome: finding.Fails,
				Subject: it.Path,
				Title:   said.Say("%", said.Name(it.Name, "A load")),
				Source:  norms.Practice("the weight lies over the deck"),
				Says: said.Say(
					"The weight of % lies beyond the deck. Bring it back onto the deck.",
					said.Name(it.Name, "a load"),
				),
			},
		)
	}
	return out
}

// Reading is a reading of the laden rig as the sums take it; ok is false for a
// wheel where the track is not known, and for a scale at or behind the axle.
func Reading(r *rig.Rig, rd *plan.LoadReading) (out statics.Reading, title said.Sentence, ok bool) {
	out = statics.Reading{Range: rd.Range(r.Plan).Floats()}
	switch rd.What {
	case plan.ReadAxle:
		out.Scale, title = statics.ScaleAxle, said.Say("Axle on the scale")
	case plan.ReadWhole:
		out.Scale, title = statics.ScaleWhole, said.Say("Trailer on the scale")
	case plan.ReadLeft:
		out.Scale, title = statics.ScaleLeft, said.Say("Left wheel on the scale")
	case plan.ReadRight:
		out.Scale, title = statics.ScaleRight, said.Say("Right wheel on the scale")
	default:
		title, out.At = said.Say("{Ball load} on the scale"), rd.ScaleAt()
		return out, title, out.At < r.Beam.Axle.Low
	}
	return out, title, r.Beam.Track > 0 || out.Scale < statics.ScaleLeft
}

// readings holds what a scale showed of the laden rig against what the plan
// expects of it.
func readings(r *rig.Rig) []finding.Finding {
	if r.Layout == nil || r.Bears == nil {
		return nil
	}
	var out []finding.Finding
	for _, id := range plan.Ordered(r.Layout.Readings, func(x plan.LoadReading) int { return x.Order }) {
		rd := r.Layout.Readings[id]
		read := rd.Range(r.Plan).Floats()
		reading, title, ok := Reading(r, &rd)
		if !ok || !r.Layout.Is(rd.Stood) { // something was moved since: it says nothing of how it stands now
			continue
		}
		expect := r.Beam.Expect(reading)
		f := finding.Finding{
			Code:    CodeReading,
			Stage:   Stage,
			Scope:   r.Scope,
			Subject: r.LayoutPath("/readings/" + id),
			Title:   title,
			Figure: finding.Of(
				quantity.KindMass,
				read,
			),
			Limit:  finding.Of(quantity.KindMass, expect),
			Source: norms.Practice("reading and expectation overlap"),
		}
		if read.Low > expect.High || read.High < expect.Low {
			f.Outcome = finding.Fails
			f.Says = said.Say(
				"The scale read %, the plan expects % to %. One entered weight or position is wrong: weigh again.",
				said.Mass(read.Nominal),
				said.Mass(expect.Low),
				said.Mass(expect.High),
			)
		} else {
			f.Outcome = finding.Holds
			f.Says = said.Say("The scale read %, the plan expects % to %: they agree.", said.Mass(read.Nominal), said.Mass(expect.Low), said.Mass(expect.High))
		}
		out = append(out, f)
	}
	return out
}
