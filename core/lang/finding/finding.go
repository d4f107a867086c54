// Package finding is the language in which every check speaks: an outcome, a
// figure against its limit, a sentence, what is missing, ways out, and the
// working behind the figure.
package finding

import (
	"cmp"
	"slices"

	"zygonos/core/lang/quantity"
	"zygonos/core/lang/said"
)

// Outcome is what a check came to. Their order on screen is Fails, Unknown,
// Tight, Holds.
type Outcome string

// The four outcomes.
const (
	Fails   Outcome = "fails"   // the nominal figure is over its limit
	Unknown Outcome = "unknown" // something that the check needs is missing
	Tight   Outcome = "tight"   // see Tightness
	Holds   Outcome = "holds"
)

// Rank orders outcomes worst first: 0 for Fails to 3 for Holds.
func (o Outcome) Rank() int {
	switch o {
	case Fails:
		return 0
	case Unknown:
		return 1
	case Tight:
		return 2
	}
	return 3
}

// Worse returns the worse of two outcomes; an empty one counts for nothing.
func Worse(a, b Outcome) Outcome {
	if a == "" || b != "" && b.Rank() < a.Rank() {
		return b
	}
	return a
}

// Tightness says why an outcome is Tight.
type Tightness string

// The two ways to be tight.
const (
	LittleRoom    Tightness = "room"  // the figure is inside by less than the check's reserve
	GuessTooRough Tightness = "guess" // the range of doubt crosses the limit
)

// Gate is a moment after which a mistake costs money, steel or more.
type Gate string

// The three gates.
const (
	GateBuy Gate = "buy"
	GateCut Gate = "cut"
	GateGo  Gate = "go"
)

// Measure is a figure with its doubt. Low and High are nil where the figure
// is exact.
type Measure struct {
	Kind  quantity.Kind `json:"kind"`
	Value float64       `json:"value"`
	Low   *float64      `json:"low,omitempty"`
	High  *float64      `json:"high,omitempty"`
}

// Of makes a measure of a range, or nothing where the range is not finite.
func Of[Q ~float64](k quantity.Kind, r quantity.Range[Q]) *Measure {
	n, lo, hi := float64(r.Nominal), float64(r.Low), float64(r.High)
	if !quantity.Finite(n) || !quantity.Finite(lo) || !quantity.Finite(hi) {
		return nil
	}
	m := &Measure{Kind: k, Value: n}
	if lo != n || hi != n {
		m.Low, m.High = &lo, &hi
	}
	return m
}

// Exactly makes a measure without doubt.
func Exactly[Q ~float64](k quantity.Kind, v Q) *Measure { return Of(k, quantity.Exactly(v)) }

// Scope says for which variant of the rig a finding was made.
type Scope struct {
	Trailer string `json:"trailer,omitempty"`
	Outing  string `json:"outing,omitempty"`
	State   string `json:"state,omitempty"`
	School  string `json:"school,omitempty"`
}

// Source is where a rule or a figure comes from.
type Source struct {
	Title      string `json:"title"`
	Clause     string `json:"clause,omitempty"`
	AsOf       string `json:"asOf"`
	Confidence string `json:"confidence"` // A sure, B check the edition, C practice with spread
}

// Need is something that is missing or too rough, and where to find it.
type Need struct {
	Path  string        `json:"path"` // the plan's field to fill
	Says  said.Sentence `json:"says"`
	Where said.Sentence `json:"where"`
}

// Takes lists what is missing in words: a, b and c.
func Takes(needs []Need) said.Sentence {
	parts := make([]said.Sentence, len(needs))
	for i, n := range needs {
		parts[i] = n.Says
	}
	return said.List(parts...)
}

// Lacks makes f Not known for want of what it takes: "Whether it fits is not known: enter the width."
func (f *Finding) Lacks(what string, needs ...Need) {
	f.Outcome, f.Needs = Unknown, needs
	f.Says = slices.Concat(said.Say(what+" is not known: enter "), Takes(needs), said.Say("."))
}

// Op is one operation of a JSON Patch (RFC 6902).
type Op struct {
	Op    string `json:"op"`
	Path  string `json:"path"`
	Value any    `json:"value,omitempty"`
}

// Variant is a named patch on the plan.
type Variant struct {
	Name  said.Sentence `json:"name"`
	Patch []Op          `json:"patch"`
}

// Way is a variant that may lead out of a finding, with how much it asks of the owner: less
// comes first.
type Way struct {
	Variant
	Effort float64
}

// Tick is a line of the departure card, ticked before leaving. Its id is stable, so that ticks
// are kept; Under is the heading that it stands under.
type Tick struct {
	Under string        `json:"-"`
	ID    string        `json:"id"`
	Says  said.Sentence `json:"says"`
}

// The headings of the departure card, in its order.
const (
	UnderLoading = "Getting it on"
	UnderPlaces  = "Where it stands"
	UnderTied    = "Tied down"
	UnderRead    = "Read"
	UnderWalk    = "Walk round"
	UnderLoose   = "Take off or tie on"
	UnderWay     = "On the way"
)

// Fix is a variant that was judged, with what it leads to.
type Fix struct {
	Variant
	Outcome Outcome  `json:"outcome"`
	Figure  *Measure `json:"figure,omitempty"`
}

// Finding is what one check says.
type Finding struct {
	Code      string        `json:"code"` // stable, see docs/method/
	Stage     string        `json:"stage"`
	Scope     Scope         `json:"scope"`
	Gate      Gate          `json:"gate,omitempty"`
	Outcome   Outcome       `json:"outcome"`
	Tight     Tightness     `json:"tight,omitempty"`
	Subject   string        `json:"subject,omitempty"` // path of the thing that it is about
	Title     said.Sentence `json:"title"`
	Figure    *Measure      `json:"figure,omitempty"`
	Limit     *Measure      `json:"limit,omitempty"`
	Margin    *float64      `json:"margin,omitempty"` // share of the limit that is left; negative when over
	Says      said.Sentence `json:"says"`
	Needs     []Need        `json:"needs,omitempty"`
	Fixes     []Fix         `json:"fixes,omitempty"`
	Source    *Source       `json:"source,omitempty"`
	Essential bool          `json:"essential,omitempty"` // one of the links a verdict cannot do without
	Compares  bool          `json:"compares,omitempty"`  // it holds one arrangement against another and decides no stage
	HasWork   bool          `json:"hasWork,omitempty"`
	InVain    int           `json:"inVain,omitempty"`  // ways out that were tried and mend nothing, or mar something else
	Rest      bool          `json:"rest,omitempty"`    // it is judged at rest alone, but where its stage is on screen
	Doubted   bool          `json:"doubted,omitempty"` // it holds, but not with a guess at either end: found at rest
	// it fails, but not with other lengths than those that its kinds tell and nobody else: found at rest
	Softened bool `json:"softened,omitempty"`
	Follows  bool `json:"follows,omitempty"` // it is as at the last rest, what changed since is not in it

	Work func() []Step `json:"-"` // the working, made only when it is opened
}

// Key identifies a finding across reports: code, scope and subject.
func (f *Finding) Key() string {
	return f.Code + "|" + f.Scope.Trailer + "|" + f.Scope.Outing + "|" + f.Scope.State + "|" + f.Scope.School + "|" + f.Subject
}

// Step is one line of a working: a formula, the values that went in and where
// each came from, and what came out.
type Step struct {
	Symbol  string        `json:"symbol"`
	Says    said.Sentence `json:"says"`
	Formula string        `json:"formula"`
	Terms   []StepTerm    `json:"terms"`
	Result  *Measure      `json:"result,omitempty"`
	Source  *Source       `json:"source,omitempty"`
}

// StepTerm is one value of a step.
type StepTerm struct {
	Symbol  string        `json:"symbol"`
	Says    said.Sentence `json:"says"`
	Measure *Measure      `json:"measure"`
	How     string        `json:"how"`
	Path    string        `json:"path,omitempty"`
}

// Sort puts findings worst first; of equals the one with the least margin.
func Sort(fs []Finding) {
	slices.SortStableFunc(fs, func(a, b Finding) int {
		if c := cmp.Compare(a.Outcome.Rank(), b.Outcome.Rank()); c != 0 {
			return c
		}
		if a.Essential != b.Essential {
			if a.Essential {
				return -1
			}
			return 1
		}
		switch {
		case a.Margin == nil && b.Margin == nil:
			return 0
		case a.Margin == nil:
			return 1
		case b.Margin == nil:
			return -1
		}
		return cmp.Compare(*a.Margin, *b.Margin)
	})
}

// Under judges a figure that must not exceed a limit: Fails when the nominal
// figure is over, Tight when the range crosses it (the guess is too rough) or
// when less than reserve, a share of the limit, is left.
func Under(figure quantity.Range[float64], limit, reserve float64) (Outcome, Tightness) {
	switch {
	case quantity.Exceeds(figure.Nominal, limit):
		return Fails, ""
	case quantity.Exceeds(figure.High, limit):
		return Tight, GuessTooRough
	case quantity.Exceeds(figure.Nominal, limit*(1-reserve)):
		return Tight, LittleRoom
	}
	return Holds, ""
}

// Reserve is the share of a limit under which little room is left.
const Reserve = 0.1

// AtMost holds an exact figure against its limit and sets figure, limit, margin and outcome:
// Fails over it, Tight with less than the reserve left, Not known where either is no figure.
func (f *Finding) AtMost(k quantity.Kind, v, limit float64) {
	f.Figure, f.Limit = Exactly(k, v), Exactly(k, limit)
	if f.Figure == nil || f.Limit == nil || limit <= 0 {
		f.Outcome, f.Figure, f.Limit = Unknown, nil, nil
		return
	}
	margin := (limit - v) / limit
	f.Margin = &margin
	f.Outcome, f.Tight = Under(quantity.Exactly(v), limit, Reserve)
}
