// Package trouble asks what is behind something that is felt, heard or seen on the road: causes with their reasons, and what to
// look at next. Formulas: docs/method/trouble.md.
package trouble

import (
	"cmp"
	"math"
	"slices"

	"zygonos/core/facts/ailments"
	"zygonos/core/lang/finding"
	"zygonos/core/lang/quantity"
	"zygonos/core/lang/said"
	"zygonos/core/sums/evidence"
)

// Hint is what plan and records already answer: a look, with what says so.
type Hint struct {
	Look string
	Yes  bool
	Says said.Sentence
}

// Case is what is known of a trouble.
type Case struct {
	Signs map[string]bool // felt
	Seen  map[string]bool // looks that were answered
	Hints []Hint
	Has   func(needs string) bool // what the trailer has
}

// Opinion is what it comes to.
type Opinion struct {
	Stop     []said.Sentence `json:"stop"` // first and plain
	Says     said.Sentence   `json:"says"`
	Suspects []SuspectRow    `json:"suspects"`
	Next     []LookRow       `json:"next"`  // what tells most first
	Hints    []HintRow       `json:"hints"` // from plan and records
}

// SuspectRow is a cause.
type SuspectRow struct {
	ID      string          `json:"id"`
	Says    said.Sentence   `json:"says"`
	Likely  finding.Measure `json:"likely"` // share
	Because []said.Sentence `json:"because"`
	Against []said.Sentence `json:"against"`
	Do      said.Sentence   `json:"do"`
}

// LookRow is something to look at.
type LookRow struct {
	ID   string        `json:"id"`
	Asks said.Sentence `json:"asks"`
	Bits float64       `json:"bits"`
	Seen string        `json:"seen,omitempty"` // yes, no
}

// HintRow is what plan or records say.
type HintRow struct {
	Look string        `json:"look"`
	Yes  bool          `json:"yes"`
	Says said.Sentence `json:"says"`
}

// Figures of the search (practice, C).
const (
	hintPower = 0.6  // a figure of the plan counts so much of an answer of today: its chances to this power
	mostShown = 5    // causes
	leastSays = 0.02 // of a cause that is worth a line
	mostSure  = 0.95 // no more is ever claimed
	mostLooks = 3
	worthBits = 0.02
)

// chance of a sign, or of a yes, with a cause.
func chance(of map[string]float64, id string, usual float64) float64 {
	if p, ok := of[id]; ok {
		return p
	}
	return usual
}

// Find weighs the causes: prior · Π P(sign) · Π P(answer) · Π P(hint)^0.6, then to a sum of one. What was not felt counts for
// nothing, since nobody feels for all of it; what was looked at counts either way.
func Find(c *Case) *Opinion {
	out := &Opinion{Stop: []said.Sentence{}, Suspects: []SuspectRow{}, Next: []LookRow{}, Hints: []HintRow{}}
	out.stops(c)
	for _, h := range c.Hints {
		out.Hints = append(out.Hints, HintRow(h))
	}
	felt := 0
	for _, s := range ailments.Signs {
		if c.Signs[s.ID] {
			felt++
		}
	}
	causes := slices.DeleteFunc(slices.Clone(ailments.Causes), func(x ailments.Cause) bool {
		return x.Needs != "" && c.Has != nil && !c.Has(x.Needs)
	})
	weight := make([]float64, len(causes)+1) // the last is what the table does not know
	for i := range causes {
		weight[i] = causes[i].Prior * c.fits(&causes[i])
	}
	weight[len(causes)] = ailments.OtherPrior * c.fitsOther(felt)
	evidence.Normal(weight)
	order := make([]int, len(causes))
	for i := range order {
		order[i] = i
	}
	slices.SortStableFunc(order, func(a, b int) int { return cmp.Compare(weight[b], weight[a]) })
	if felt == 0 && len(c.Seen) == 0 {
		out.Says = said.Say("Mark what you feel, hear or see.")
		return out
	}
	for _, i := range order[:min(len(order), mostShown)] {
		if weight[i] < leastSays {
			break
		}
		out.Suspects = append(out.Suspects, c.row(&causes[i], weight[i]))
	}
	out.next(c, causes, weight)
	switch {
	case len(out.Suspects) == 0 || weight[len(causes)] > weight[order[0]]:
		out.Says = said.Say("This does not fit anything known here: have someone look who mends trailers.")
	case weight[order[0]] > 0.6:
		out.Says = slices.Concat(said.Say("Most likely "), out.Suspects[0].Says, said.Say("."))
	default:
		out.Says = slices.Concat(
			said.Say("Perhaps "),
			out.Suspects[0].Says,
			said.Say(". Look at what is asked below: it tells them apart."),
		)
		if len(out.Next) == 0 {
			out.Says = slices.Concat(
				said.Say("Perhaps "),
				out.Suspects[0].Says,
				said.Say(". Nothing more here tells it from the others."),
			)
		}
	}
	return out
}

// stops are the signs and answers that end a drive, first; what plan and records say of it is no answer of today.
func (o *Opinion) stops(c *Case) {
	var told []string
	add := func(says string) {
		if says != "" && !slices.Contains(told, says) {
			told, o.Stop = append(told, says), append(o.Stop, said.Say(says))
		}
	}
	for _, s := range ailments.Signs {
		if c.Signs[s.ID] {
			add(s.Stop)
		}
	}
	for _, l := range ailments.Looks {
		if c.Seen[l.ID] {
			add(l.Stop)
		}
	}
}

func lookOf(id string) *ailments.Look {
	i := slices.IndexFunc(ailments.Looks, func(l ailments.Look) bool { return l.ID == id })
	if i < 0 {
		return nil
	}
	return &ailments.Looks[i]
}

// answered is how likely an answer is with a cause.
func answered(x *ailments.Cause, look string, yes bool) float64 {
	p := chance(x.Proves, look, ailments.UsualYes)
	if yes {
		return p
	}
	return 1 - p
}

func (c *Case) fits(x *ailments.Cause) float64 {
	w := 1.0
	for _, s := range ailments.Signs {
		if c.Signs[s.ID] {
			w *= chance(x.Shows, s.ID, ailments.UsualSign)
		}
	}
	for _, l := range ailments.Looks {
		if yes, ok := c.Seen[l.ID]; ok {
			w *= answered(x, l.ID, yes)
		}
	}
	for _, h := range c.Hints {
		if _, seen := c.Seen[h.Look]; !seen && lookOf(h.Look) != nil {
			w *= math.Pow(answered(x, h.Look, h.Yes), hintPower)
		}
	}
	return w
}

// fitsOther is the same of what the table does not know.
func (c *Case) fitsOther(felt int) float64 {
	w := math.Pow(ailments.OtherShows, float64(felt))
	for _, l := range ailments.Looks {
		if yes, ok := c.Seen[l.ID]; ok {
			w *= answered(&ailments.Cause{}, l.ID, yes)
		}
	}
	for _, h := range c.Hints {
		if _, seen := c.Seen[h.Look]; !seen && lookOf(h.Look) != nil {
			w *= math.Pow(answered(&ailments.Cause{}, h.Look, h.Yes), hintPower)
		}
	}
	return w
}

// tells is from how much above the usual chance a sign or an answer speaks for a cause.
const tells = 3

// row is a cause with what speaks for it and against.
func (c *Case) row(x *ailments.Cause, share float64) SuspectRow {
	out := SuspectRow{
		ID: x.ID, Says: said.Say(x.Says), Do: said.Say(x.Do), Likely: *finding.Exactly(quantity.KindShare, min(mostSure, round(share))),
		Because: []said.Sentence{}, Against: []said.Sentence{},
	}
	for _, s := range ailments.Signs {
		switch p := chance(x.Shows, s.ID, ailments.UsualSign); {
		case !c.Signs[s.ID]:
		case p >= tells*ailments.UsualSign:
			out.Because = append(out.Because, said.Say(s.Says+"."))
		default:
			out.Against = append(out.Against, said.Say(s.Says+": it seldom shows that."))
		}
	}
	for _, l := range ailments.Looks {
		yes, ok := c.Seen[l.ID]
		switch p := chance(x.Proves, l.ID, ailments.UsualYes); {
		case !ok || p < tells*ailments.UsualYes:
		case yes:
			out.Because = append(out.Because, said.Say("Seen: "+l.Asks+" Yes."))
		default:
			out.Against = append(out.Against, said.Say("Seen: "+l.Asks+" No."))
		}
	}
	for _, h := range c.Hints {
		_, seen := c.Seen[h.Look]
		switch p := chance(x.Proves, h.Look, ailments.UsualYes); {
		case seen || p < tells*ailments.UsualYes:
		case h.Yes:
			out.Because = append(out.Because, h.Says)
		default:
			out.Against = append(out.Against, h.Says)
		}
	}
	return out
}

func round(v float64) float64 { return math.Round(v*100) / 100 }

// next are the looks that tell most for their effort, among those not answered yet.
func (o *Opinion) next(c *Case, causes []ailments.Cause, weight []float64) {
	for _, l := range ailments.Looks {
		if _, seen := c.Seen[l.ID]; seen {
			continue
		}
		bits := evidence.Gain(weight, 2, func(k, i int) float64 {
			x := &ailments.Cause{}
			if i < len(causes) {
				x = &causes[i]
			}
			return answered(x, l.ID, k == 0)
		})
		if bits > worthBits {
			o.Next = append(o.Next, LookRow{ID: l.ID, Asks: said.Say(l.Asks), Bits: bits / l.Cost})
		}
	}
	slices.SortStableFunc(o.Next, func(a, b LookRow) int { return cmp.Compare(b.Bits, a.Bits) })
	o.Next = o.Next[:min(len(o.Next), mostLooks)]
	for _, l := range ailments.Looks {
		if yes, seen := c.Seen[l.ID]; seen {
			o.Next = append(
				o.Next,
				LookRow{ID: l.ID, Asks: said.Say(l.Asks), Seen: map[bool]string{true: "yes", false: "no"}[yes]},
			)
		}
	}
}
