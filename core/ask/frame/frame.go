// Package frame answers whether a trailer's own frame bears what it carries: which member is used most,
// how far it bends, how it twists, and what there is to cut. Formulas: docs/method/frame.md.
package frame

import (
	"errors"
	"math"
	"slices"

	"zygonos/core/facts/norms"
	"zygonos/core/lang/finding"
	"zygonos/core/lang/quantity"
	"zygonos/core/lang/said"
	"zygonos/core/lang/scene"
	"zygonos/core/parts"
	"zygonos/core/rig"
	"zygonos/core/sums/frame3d"
	"zygonos/core/sums/parallel"
)

// Stage under which the findings stand.
const Stage = "frame"

// Codes of the findings made here.
const (
	CodeWhole    = "frame.whole"
	CodeStrength = "frame.strength" // laden, level and over bumps
	CodeCases    = "frame.cases"    // in all other cases
	CodeBend     = "frame.bend"
	CodeOpen     = "frame.open"
	CodeWeighed  = "frame.weighed"
)

// Figures of practice (confidence C).
const (
	sagLimit  = 250.0 // of a bar's length
	openShare = 0.10  // of its strength that torsion may take of an open section
	hides     = 0.15  // share by which drawing and scale may differ
)

// Picture is what the Frame stage shows beside its checks.
type Picture struct {
	Whole   bool             `json:"whole"`
	Mass    finding.Measure  `json:"mass"`           // of the members, without welds and paint
	Cost    *finding.Measure `json:"cost,omitempty"` // of their metres; nil where a price is missing
	Empty   []rig.Bit        `json:"empty,omitempty"`
	Members []MemberUse      `json:"members"`
	Cases   []CaseUse        `json:"cases,omitempty"` // worst first
	Twist   *Twist           `json:"twist,omitempty"`
	Pieces  []PieceRow       `json:"pieces"`
	Views   []scene.View     `json:"views"`             // from above, from the side, from behind
	Bent    *Bent            `json:"bent,omitempty"`    // at rest
	Cracks  []Crack          `json:"cracks,omitempty"`  // at rest
	Lighter []Lighter        `json:"lighter,omitempty"` // at rest
	// welded members of which it is not known how bumps wear them
	WearUnknown []string        `json:"wearUnknown,omitempty"`
	Dip         *Dip            `json:"dip,omitempty"` // at rest
	Deep        finding.Measure `json:"deep"`          // from the highest top to the lowest underside
}

// MemberUse is a member with what its worst case takes of its strength.
type MemberUse struct {
	Path   string           `json:"path"`
	Name   string           `json:"name"`
	Says   said.Sentence    `json:"says"` // its section
	Length finding.Measure  `json:"length"`
	Mass   finding.Measure  `json:"mass"`
	Taped  bool             `json:"taped,omitempty"` // it is as long as was taped on the finished frame
	Use    *finding.Measure `json:"use,omitempty"`
	Case   said.Sentence    `json:"case,omitempty"`
	At     *finding.Measure `json:"at,omitempty"` // from its beginning
	Bends  *finding.Measure `json:"bends,omitempty"`
	// what its joints pass on at most, over all cases: where it begins, where it ends; at rest
	Ends []EndForce `json:"ends,omitempty"`
	// what one kilogram more in its walls brings; at rest
	Gain *Gain `json:"gain,omitempty"`
}

// Gain is what a kilogram more in a member's walls brings.
type Gain struct {
	Use   finding.Measure `json:"use"`   // of its strength that its worst case then takes
	Twist finding.Measure `json:"twist"` // share by which the frame twists less
}

// EndForce is what a member's joint passes on at most, for whoever welds or bolts it.
type EndForce struct {
	Force  finding.Measure `json:"force"`
	Moment finding.Measure `json:"moment"`
}

// CaseUse is a load case with the member that it uses most.
type CaseUse struct {
	Says   said.Sentence   `json:"says"`
	Use    finding.Measure `json:"use"`
	Member string          `json:"member"` // path
	Name   string          `json:"name"`
	Lifts  bool            `json:"lifts,omitempty"` // a wheel is off the ground
}

// Bent is the shape that the worst case bends the frame to, drawn larger than it is.
type Bent struct {
	Case  said.Sentence            `json:"case"`
	Times float64                  `json:"times"` // larger than it is
	Views map[string][]scene.Shape `json:"views"` // by the view's id
}

// Twist is how soft the frame is when three corners stand and the fourth is pushed down.
type Twist struct {
	Degrees finding.Measure `json:"degrees"` // a kN·m
	Corner  finding.Measure `json:"corner"`  // that the free corner dips under 100 kg, m
	// how often a second laden frame and load swing, on the springs and the frame in itself; about
	Bounces *finding.Measure `json:"bounces,omitempty"`
	Swings  *finding.Measure `json:"swings,omitempty"`
}

// PieceRow is a row of the cut list.
type PieceRow struct {
	Says    said.Sentence    `json:"says"`
	Count   int              `json:"count"`
	Length  finding.Measure  `json:"length"` // from long point to long point
	Mass    finding.Measure  `json:"mass"`   // of all
	Members []string         `json:"members"`
	Marks   []string         `json:"marks"`           // to be chalked on them
	Ends    [2]said.Sentence `json:"ends"`            // how each leaves the saw
	Holes   int              `json:"holes,omitempty"` // notches and holes
}

// judged is a frame with what every case takes of it.
type judged struct {
	r       *rig.Rig
	m       *model
	answers []*answer
	worst   []int // case of each bar that takes most of it
	sure    float64
	bearing bool // the deck lies on something
	err     error
}

// quick are the cases that are solved while a hand moves.
func quick(id string) bool { return id == "level" || id == "bump" }

// Check judges a drawn frame laden and over bumps, and gives what draws what its stage shows; nothing where none is
// drawn.
func Check(r *rig.Rig) ([]finding.Finding, func() *Picture) {
	if r.Drawn == nil {
		return nil, nil
	}
	j := &judged{r: r}
	draw := func() *Picture { return picture(j) }
	if f, broken := whole(r); broken {
		return []finding.Finding{f}, draw
	}
	j = judge(r, quick)
	return j.findings(), draw
}

// Judge is what Check and Rest find, without the picture.
func Judge(r *rig.Rig) []finding.Finding {
	if r.Drawn == nil {
		return nil
	}
	if f, broken := whole(r); broken {
		return []finding.Finding{f}
	}
	return append(judge(r, quick).findings(), Rest(r)...)
}

// Rest judges it in all other cases.
func Rest(r *rig.Rig) []finding.Finding {
	if r.Drawn == nil || !r.Drawn.Whole {
		return nil
	}
	j := judge(r, func(id string) bool { return !quick(id) })
	f := j.strength(CodeCases, "Strength beside the road")
	if f.Outcome == finding.Unknown &&
		(j.err == nil || j.m == nil || j.m.solver == nil) { // the other finding says why
		return nil
	}
	out := []finding.Finding{f}
	if bolted(r) { // over bumps too
		if f, is := judge(r, func(string) bool { return true }).bolts(); is {
			out = append(out, f)
		}
	}
	if f, is := j.open(); is {
		out = append(out, f)
	}
	return out
}

// Whole is the picture with every case; nil where no frame is drawn.
func Whole(r *rig.Rig) *Picture {
	if r.Drawn == nil {
		return nil
	}
	if !r.Drawn.Whole {
		return picture(&judged{r: r})
	}
	return picture(judge(r, func(string) bool { return true }))
}

func (j *judged) findings() []finding.Finding {
	strength := j.strength(CodeStrength, "Strength of the frame")
	out := []finding.Finding{strength}
	if strength.Outcome != finding.Unknown { // what is not all known bends nobody knows how far
		out = append(out, j.bend())
	}
	if f, is := j.tested(); is {
		out = append(out, f)
	}
	if f, is := cuts(j.r); is {
		out = append(out, f)
	}
	out = append(out, dipped(j.r)...)
	if f, is := height(j.r); is {
		out = append(out, f)
	}
	if f, is := seat(j.r); is {
		out = append(out, f)
	}
	if f, is := wheels(j.r); is {
		out = append(out, f)
	}
	if f, is := weighed(j.r); is {
		out = append(out, f)
	}
	return out
}

func base(r *rig.Rig, code, title string) finding.Finding {
	return finding.Finding{
		Code: code, Stage: Stage, Scope: r.Scope, Gate: finding.GateCut, Subject: "/trailers/" + r.Scope.Trailer + "/frame",
		Title: said.Say(title), Outcome: finding.Holds,
		Source: norms.Practice("reserve 1.5 on yield, 2.5 on timber; factors of the load cases"),
	}
}

// names lists members, three at most.
func names(r *rig.Rig, at []int) said.Sentence {
	var list []said.Sentence
	for i, k := range at {
		if i == 3 {
			list = append(list, said.Say("% more", said.Count(len(at)-3)))
			break
		}
		list = append(list, said.Say("%", said.Name(r.Drawn.Bars[k].Member.Name, "a member")))
	}
	return said.List(list...)
}

// whole tells what keeps the drawing from being a frame.
func whole(r *rig.Rig) (f finding.Finding, broken bool) {
	f = base(r, CodeWhole, "The drawing")
	d := r.Drawn
	for i := range d.Bars {
		if b := &d.Bars[i]; b.Wrong != "" {
			f.Outcome, f.Subject = finding.Fails, f.Subject+"/members/"+b.ID
			f.Says = said.Say(
				"% cannot carry anything: "+b.Wrong+". Enter its sizes again.",
				said.Name(b.Member.Name, "A member"),
			)
			return f, true
		}
	}
	f.Outcome = finding.Unknown
	switch {
	case d.Many:
		f.Says = said.Say("% members are drawn, and % is the limit. Take out what carries nothing.",
			said.Count(len(d.Bars)), said.Count(rig.MostMembers))
		f.Needs = []finding.Need{{
			Path: f.Subject + "/members", Says: said.Say("the members that carry load"),
			Where: said.Say("Plates, brackets and bolts need not be drawn."),
		}}
		return f, true
	case r.DeckFront == nil || r.Axle == nil:
		f.Says = said.Say("The frame is not loaded, because the positions of {coupling} and axle are not known.")
		f.Needs = append(f.Needs, r.Needs...)
		if r.DeckFront == nil {
			f.Needs = append(f.Needs, finding.Need{
				Path: "/trailers/" + r.Scope.Trailer + "/couplingToDeck", Says: said.Say("distance from {coupling} to the {headboard}"),
				Where: said.Say("Tape from the ball's middle to the front edge of the deck."),
			})
		}
		return f, true
	case len(d.Twice) > 0:
		f.Says = append(
			names(r, d.Twice[0][:]),
			said.Say(" lie in the same place. Take one out, or move it beside the other.")...)
		f.Needs = []finding.Need{{
			Path: f.Subject + "/members/" + d.Bars[d.Twice[0][1]].ID + "/from/back", Says: said.Say("which of the two is there"),
			Where: said.Say("Steel drawn twice would count twice."),
		}}
		return f, true
	case len(d.Loose) > 0:
		f.Says = append(
			names(r, d.Loose),
			said.Say(" touch nothing else. Move their ends to what they should meet.")...)
		f.Needs = []finding.Need{{
			Path: f.Subject + "/members/" + d.Bars[d.Loose[0]].ID + "/from/back", Says: said.Say("where it meets the frame"),
			Where: said.Say("Its end must come within [6 mm] of the other member's face."),
		}}
		return f, true
	case len(d.Noses) == 0:
		f.Says = said.Say(
			"No member reaches the {coupling}: draw the {drawbar} to within % of the ball.",
			said.Length(0.3),
		)
		f.Needs = []finding.Need{{
			Path: f.Subject + "/members", Says: said.Say("the {drawbar}'s front end"),
			Where: said.Say("It ends where the {coupling} is bolted on."),
		}}
		return f, true
	}
	return f, false
}

// judge solves those cases that are wanted.
func judge(r *rig.Rig, want func(id string) bool) *judged {
	j := &judged{r: r, m: build(r), bearing: true}
	if j.m == nil || j.m.missing != "" {
		return j
	}
	if j.m.solver, j.err = frame3d.Ready(&j.m.m); j.err != nil {
		return j
	}
	all := j.m.bodies()
	cs := slices.DeleteFunc(cases(j.m), func(c loadCase) bool { return !want(c.id) })
	type outcome struct {
		a, likely *answer // with the weights at their most; as they are likely, where that is too much
		ok        bool
	}
	found := make([]outcome, len(cs))
	// beside the factors that most cases share, those begin that have their own
	var turn, shared []int
	for i := range cs {
		if cs[i].stand != nil {
			turn = append(turn, i)
		} else {
			shared = append(shared, i)
		}
	}
	turn = append(turn, shared...)
	each(1+len(cs), func(i int) {
		if i == 0 {
			_ = j.m.solver.Factorise() // asked again below
			return
		}
		i = turn[i-1]
		o := &found[i]
		o.a, o.ok = j.m.solve(&cs[i], all, true)
		if o.a != nil && o.a.err == nil && o.ok {
			j.m.mixed(&cs[i], all, o.a)
		}
		if o.a != nil && o.a.err == nil && o.a.uses[o.a.worst].share > 1 {
			o.likely, _ = j.m.solve(&cs[i], all, false)
		}
	})
	if j.err = j.m.solver.Factorise(); j.err != nil {
		return j
	}
	for _, o := range found {
		j.bearing = j.bearing && o.ok
		switch {
		case o.a == nil:
		case o.a.err != nil:
			j.err = o.a.err
		default:
			j.answers = append(j.answers, o.a)
		}
		if b := o.likely; b != nil && b.err == nil {
			j.sure = math.Max(j.sure, b.uses[b.worst].share)
		}
	}
	j.worst = make([]int, len(j.m.bars))
	for k := range j.m.bars {
		for i, a := range j.answers {
			if a.uses[k].share > j.answers[j.worst[k]].uses[k].share {
				j.worst[k] = i
			}
		}
	}
	return j
}

// each runs a function for 0 … n−1, several at once where there are many.
func each(n int, do func(i int)) {
	if n < 4 {
		for i := range n {
			do(i)
		}
		return
	}
	parallel.Each(n, do)
}

// most is the bar that is used most, with its case.
func (j *judged) most() (bar int, c *answer, share float64) {
	for k := range j.worst {
		a := j.answers[j.worst[k]]
		if a.uses[k].share > share || c == nil {
			bar, c, share = k, a, a.uses[k].share
		}
	}
	return bar, c, share
}

func (j *judged) name(bar int) said.Piece { return said.Name(j.m.bars[bar].Member.Name, "a member") }

func (j *judged) path(bar int) string {
	return "/trailers/" + j.r.Scope.Trailer + "/frame/members/" + j.m.bars[bar].ID
}

// strength judges the member that is used most over all cases.
func (j *judged) strength(code, title string) finding.Finding {
	f := base(j.r, code, title)
	unknown := func(says said.Sentence, needs ...finding.Need) finding.Finding {
		f.Outcome, f.Says, f.Needs = finding.Unknown, says, needs
		return f
	}
	var free *frame3d.MechanismError
	switch {
	case j.m == nil:
		return unknown(said.Say("The frame cannot be loaded yet."), j.r.Needs...)
	case j.m.missing != "":
		return unknown(said.Say("There is no place for the axle: "+j.m.missing+"."), finding.Need{
			Path: f.Subject + "/springsApart", Says: said.Say("where the springs or brackets sit"),
			Where: said.Say(
				"Draw a rail on both sides that runs over them, or tape the distance between the springs.",
			),
		})
	case errors.As(j.err, &free):
		return unknown(append(said.Say("The frame is a mechanism: % moves freely.", j.near(free.Node)),
			said.Say(" Weld a joint that is entered as a hinge, or brace it.")...), finding.Need{
			Path: f.Subject + "/members", Says: said.Say("what holds it"), Where: said.Say("Look at its joints."),
		})
	case j.err != nil || len(j.answers) == 0:
		return unknown(said.Say("The frame cannot be solved as it is drawn."), finding.Need{
			Path: f.Subject + "/members", Says: said.Say("its members"), Where: said.Say("Look for a member drawn twice."),
		})
	case !j.bearing:
		return unknown(
			said.Say("Nothing under the deck supports it: draw cross members, or two rails level with the top."),
			finding.Need{
				Path:  f.Subject + "/members",
				Says:  said.Say("what the deck lies on"),
				Where: said.Say("Cross members whose tops are flush."),
			},
		)
	case len(j.r.Needs) > 0:
		return unknown(said.Say("What the frame carries is not all known."), j.r.Needs...)
	}
	bar, c, share := j.most()
	u := &c.uses[bar]
	f.AtMost(quantity.KindShare, share, 1)
	f.Subject = j.path(bar)
	if f.Outcome == finding.Fails && j.sure <= 1 {
		f.Outcome, f.Tight = finding.Tight, finding.GuessTooRough
	}
	f.Says = append(
		said.Say("% is loaded to % of its strength: ", j.name(bar), said.Share(math.Round(share*100)/100)),
		c.name...)
	if u.mixed {
		f.Says = append(f.Says, said.Say(", with loads and positions as unkind as the guesses allow")...)
	}
	if u.cut {
		f.Says = append(f.Says, said.Say(", where it is cut")...)
	}
	f.Says = append(f.Says, said.Say(".")...)
	switch {
	case f.Outcome == finding.Fails:
		f.Says = append(
			f.Says,
			said.Say(" Use a deeper or thicker section, add a cross member, or carry less.")...)
	case f.Outcome == finding.Tight && f.Tight == finding.GuessTooRough:
		f.Says = append(f.Says, said.Say(" That takes the guessed weights at their highest: weigh them.")...)
	}
	for i := range j.m.bars {
		if _, c, s := j.of(i); c != nil && s > 0.5 {
			parts.Unsure(&f, j.m.bars[i].Member.Profile)
		}
	}
	f.HasWork, f.Work = true, func() []finding.Step { return j.work(bar, c, u) }
	return f
}

// of is what its worst case takes of a bar.
func (j *judged) of(bar int) (at int, c *answer, share float64) {
	if len(j.answers) == 0 {
		return 0, nil, 0
	}
	c = j.answers[j.worst[bar]]
	return j.worst[bar], c, c.uses[bar].share
}

// near is the member whose joint a node is.
func (j *judged) near(node int) said.Piece {
	for i := range j.m.places {
		for _, p := range j.m.places[i] {
			if p.node == node {
				return j.name(i)
			}
		}
	}
	return said.Piece{Text: "the axle"}
}

// work is the sum behind the strength.
func (j *judged) work(bar int, c *answer, u *use) []finding.Step {
	stress := func(symbol, says string, v float64) finding.StepTerm {
		return finding.StepTerm{
			Symbol: symbol, Says: said.Say(says), Measure: finding.Exactly(quantity.KindStress, v), How: "computed",
		}
	}
	return []finding.Step{{
		Symbol: "σ", Says: append(said.Say("in % at % from its beginning, ", j.name(bar), said.Length(u.at)), c.name...),
		Formula: "σ = √((N/χA + My/χW + Mz/W)² + 3·(T/Wt + 2V/A)²)", Result: finding.Exactly(quantity.KindStress, u.stress),
		Source: &practice,
		Terms: []finding.StepTerm{
			stress("N/χA", "pull or push along it", u.axial),
			stress("My/χW", "bending up and down", u.bend),
			stress("Mz/W", "bending sideways", u.sideways),
			stress("T/Wt", "torsion", u.twist),
		},
	}, {
		Symbol: "u", Says: said.Say("share of its strength"), Formula: "u = σ/σ_w",
		Result: finding.Exactly(quantity.KindShare, u.share), Source: &practice,
		Terms: []finding.StepTerm{{
			Symbol: "σ_w", Says: said.Say("yield over 1.5, timber over 2.5; beside a weld what it leaves"),
			Measure: finding.Exactly(quantity.KindStress, j.m.allowed(bar, u.at)), How: "rule followed",
		}},
	}}
}

// bend judges how far members bend off their own line, laden and level.
func (j *judged) bend() finding.Finding {
	f := base(j.r, CodeBend, "Bending of the frame")
	f.Source = norms.Practice("a 250th of the length, laden and level")
	bar, most, share := 0, 0.0, -1.0
	for i := range j.m.bars {
		s := j.m.sag(j.answers[0].s, i)
		if v := s * sagLimit / j.m.bars[i].Length; v > share {
			bar, most, share = i, s, v
		}
	}
	limit := j.m.bars[bar].Length / sagLimit
	f.Subject = j.path(bar)
	f.AtMost(quantity.KindLength, most, limit)
	if f.Outcome == finding.Fails { // it bends and does not break: no reason not to drive
		f.Outcome, f.Tight = finding.Tight, finding.LittleRoom
	}
	f.Says = said.Say(
		"% bends % out of line, laden and level; the usual limit is %.",
		j.name(bar),
		said.Length(most),
		said.Length(limit),
	)
	if j.answers[0].id != level.id || !quantity.Finite(most) {
		f.Outcome, f.Says = finding.Unknown, said.Say("How far the frame bends is not known.")
		f.Needs = []finding.Need{{Path: f.Subject, Says: said.Say("its section"), Where: said.Say("Measure it.")}}
	}
	return f
}

// open tells of an open section that carries torsion: walls that close no ring twist, and what warping holds
// is not counted.
func (j *judged) open() (finding.Finding, bool) {
	f := base(j.r, CodeOpen, "Open sections and torsion")
	bar, most := -1, openShare
	for i := range j.m.bars {
		for _, a := range j.answers {
			if a.uses[i].open > most {
				bar, most = i, a.uses[i].open
			}
		}
	}
	if bar < 0 {
		return f, false
	}
	f.Subject = j.path(bar)
	f.Outcome, f.Tight = finding.Tight, finding.LittleRoom
	f.Figure = finding.Exactly(quantity.KindShare, most)
	f.Says = said.Say(
		"% is an open section and is twisted: torsion alone takes % of it. Use a closed tube, or weld on a second wall.",
		j.name(bar),
		said.Share(most),
	)
	if !j.m.bars[bar].Twist.Open {
		f.Says = said.Say(
			"% is a closed tube except for its notch, and is twisted: there torsion alone takes % of it. Weld a plate over the notch.",
			j.name(bar),
			said.Share(most),
		)
	}
	return f, true
}

// weighed holds what the scale says against the drawing.
func weighed(r *rig.Rig) (finding.Finding, bool) {
	f := base(r, CodeWeighed, "Scale and drawing")
	f.Gate = ""
	real, bits := r.EmptyMass(), r.Bits()
	if r.EmptyWay == "from the drawing" || real == nil || len(bits) == 0 ||
		r.Trailer.Empty.Mass == nil && r.Trailer.Empty.Axle == nil &&
			r.Trailer.Empty.Left == nil {
		return f, false
	}
	drawn, low, high := 0.0, 0.0, 0.0
	for _, b := range bits {
		s := rangeOf(&b.Mass)
		drawn, low, high = drawn+s.Nominal, low+s.Low, high+s.High
	}
	for id := range r.Trailer.Empty.Parts { // what was on when it was weighed
		if m := r.Plan.Parts[id].Mass; m != nil {
			s := m.Range(r.Plan).Floats()
			drawn, low, high = drawn+s.Nominal, low+s.Low, high+s.High
		}
	}
	off := real.Nominal - drawn
	f.Figure = finding.Exactly(quantity.KindMass, math.Abs(off))
	if real.High >= low && real.Low <= high || math.Abs(off) <= hides*real.Nominal {
		f.Says = said.Say("Scale and drawing agree: % weighed, % drawn.", said.Mass(real.Nominal), said.Mass(drawn))
		return f, true
	}
	f.Outcome, f.Tight = finding.Tight, finding.LittleRoom
	f.Says = said.Say(
		"The scale says %, the drawing %. Look for thicker walls, a floor or sides not entered here, or the axle's weight.",
		said.Mass(real.Nominal),
		said.Mass(drawn),
	)
	if off < 0 {
		f.Says = said.Say(
			"The scale says %, the drawing %. Look for thinner walls, or a part that is counted twice.",
			said.Mass(real.Nominal),
			said.Mass(drawn),
		)
	}
	return f, true
}
