package workshop

import (
	"cmp"
	"maps"
	"slices"
	"strings"

	"zygonos/core/lang/finding"
	"zygonos/core/lang/quantity"
	"zygonos/core/lang/said"
	"zygonos/core/records"
	"zygonos/core/rig"
	"zygonos/core/sums/sequence"
)

// WorkStep is a step of the work in its order.
type WorkStep struct {
	ID      string           `json:"id"`
	Says    said.Sentence    `json:"says"`
	Why     string           `json:"why"`
	Side    string           `json:"side,omitempty"` // "up", "down": how the work lies
	Tool    string           `json:"tool,omitempty"`
	Minutes [2]float64       `json:"minutes"`          // guessed, few to many
	Dry     *[3]float64      `json:"dry,omitempty"`    // hours that it then stands: few, likely, many
	After   []string         `json:"after"`            // steps that come before it, moves counted
	Hazard  string           `json:"hazard,omitempty"` // with its protection
	Torque  *finding.Measure `json:"torque,omitempty"`
	Turn    bool             `json:"turn,omitempty"` // the work is turned over before it
	People  int              `json:"people,omitempty"`
	Weighs  *finding.Measure `json:"weighs,omitempty"` // what is together once it is done
	Two     bool             `json:"two,omitempty"`    // from here on an end is too heavy for one
	Waits   said.Sentence    `json:"waits,omitempty"`  // why it is locked
	Done    bool             `json:"done,omitempty"`
	Took    *float64         `json:"took,omitempty"`  // minutes
	Chain   bool             `json:"chain,omitempty"` // of the longest chain
	Record  string           `json:"record"`          // id of the record that holds its tick
	Own     bool             `json:"own,omitempty"`   // added by the owner
	Moved   string           `json:"moved,omitempty"` // it was put before that step
	Up      bool             `json:"up,omitempty"`    // it may stand before the one before it …
	Down    bool             `json:"down,omitempty"`  // … or behind the next

	after []string
	gate  string // code of the finding that is to hold first
}

// Work is the whole of it.
type Work struct {
	Steps   []WorkStep      `json:"steps"`
	Turns   int             `json:"turns"`
	Begins  string          `json:"begins"`
	Hours   [2]float64      `json:"hours"` // of all, few to many
	Chain   float64         `json:"chain"` // h of the longest chain, as is likely
	Left    int             `json:"left"`
	Says    said.Sentence   `json:"says"`
	Refused []said.Sentence `json:"refused,omitempty"` // moves that make a circle, steps that are too many
	Beyond  int             `json:"beyond,omitempty"`  // steps of the owner's that are not laid
	Stand   *Stand          `json:"stand,omitempty"`
}

// TickOf is the id of the record that holds a step's tick.
func TickOf(trailer, step string) string {
	return records.IDOf(records.KindStep, trailer, step)
}

// ticked is what became of a step: its record, or the tick that older plans hold themselves.
func ticked(r *rig.Rig, all records.All, s *WorkStep) {
	if rec := all[s.Record]; rec != nil && rec.Step != nil {
		s.Done, s.Took = rec.Step.Done, rec.Step.Minutes
		return
	}
	if w := r.Trailer.Workshop; w != nil {
		if old, ok := w.Done[s.ID]; ok {
			s.Done, s.Took = true, old.Minutes
		}
	}
}

// mostOwn is how many steps of the owner's own are laid: the order of so many takes a tenth of a second,
// that of their days a quarter.
const mostOwn = 1000

// own adds the steps that the owner added, or, as a part of a step that is split, before what is left of
// that. left is how many there are beyond those that are laid.
func (l *list) own(all records.All) (left int) {
	count := 0
	for _, id := range slices.SortedFunc(maps.Keys(all), func(a, b string) int {
		return cmp.Or(cmp.Compare(all[a].Order, all[b].Order), cmp.Compare(a, b))
	}) {
		rec := all[id]
		if rec.Kind != records.KindStep || rec.Trailer != l.r.Scope.Trailer || rec.Step == nil ||
			rec.Step.Says == "" {
			continue
		}
		if count++; count > mostOwn {
			left++
			continue
		}
		guess := 30.0
		if g := rec.Step.Guess; g != nil {
			guess = *g
		}
		s := WorkStep{
			ID:      id,
			Record:  id,
			Own:     true,
			Says:    said.Sentence{said.Name(rec.Step.Says, "a step")},
			Side:    string(rec.Step.Side),
			Minutes: [2]float64{guess * 0.8, guess * 1.3},
			Why:     "You added it.",
		}
		if at := l.at(rec.Step.Of); at >= 0 {
			whole := &l.steps[at]
			s.Why = "Part of a step that you split."
			s.Side, s.Tool, s.Hazard = whole.Side, whole.Tool, whole.Hazard
			s.after = slices.Clone(whole.after)
			whole.after = append(whole.after, id)
			if rec.Step.Guess == nil { // half of what is left of it
				s.Minutes = [2]float64{whole.Minutes[0] / 2, whole.Minutes[1] / 2}
			}
			for i := range whole.Minutes {
				whole.Minutes[i] = max(1, whole.Minutes[i]-s.Minutes[i])
			}
		}
		l.steps = append(l.steps, s)
	}
	return left
}

func (l *list) at(id string) int {
	return slices.IndexFunc(l.steps, func(s WorkStep) bool { return s.ID == id })
}

// waiting are the steps as the sums see them: which waits for which.
func (l *list) waiting() []sequence.Step {
	steps := make([]sequence.Step, len(l.steps))
	for i := range l.steps {
		s := &l.steps[i]
		steps[i] = sequence.Step{Side: sides[s.Side], Tool: s.Tool, Hours: (s.Minutes[0] + s.Minutes[1]) / 120}
		for _, id := range s.after {
			if b := l.at(id); b >= 0 && !slices.Contains(steps[i].After, b) {
				steps[i].After = append(steps[i].After, b)
			}
		}
	}
	return steps
}

// moved puts steps behind and before others where the owner wants them so; what would make a circle is refused, with its
// steps.
func (l *list) moved(all records.All, steps []sequence.Step) (refused []said.Sentence) {
	for i := range l.steps {
		rec := all[l.steps[i].Record]
		if rec == nil || rec.Step == nil {
			continue
		}
		for _, m := range [2]struct {
			id    string
			first bool
		}{{rec.Step.After, false}, {rec.Step.Before, true}} {
			b := l.at(m.id)
			if b < 0 || b == i {
				continue // none is named, or that step is gone
			}
			from, to := b, i
			if m.first {
				from, to = i, b
			}
			if circle := tie(steps, from, to); circle != nil {
				refused = append(refused, l.round(i, circle))
			} else if m.first {
				l.steps[i].Moved = m.id
			}
		}
	}
	return refused
}

// tie lets a step wait for another, unless that makes a circle, which it gives.
func tie(steps []sequence.Step, from, to int) (circle []int) {
	if slices.Contains(steps[to].After, from) {
		return nil
	}
	was := steps[to].After
	steps[to].After = append(slices.Clone(was), from)
	if circle = sequence.Circle(steps); circle != nil {
		steps[to].After = was
	}
	return circle
}

// round names the steps of a circle that a step's move would make.
func (l *list) round(i int, circle []int) said.Sentence {
	says := append(
		slices.Clone(l.steps[i].Says),
		said.Say(" It cannot stand where you put it. These wait for one another: ")...)
	for k, n := range circle {
		if k > 0 {
			says = append(says, said.Say(" – ")...)
		}
		says = append(says, l.steps[n].Says...)
	}
	return says
}

// Order is the work in an order in which each step waits for what comes before it, turned over as seldom as can be, with what
// became of it.
func Order(r *rig.Rig, all records.All) *Work {
	if r == nil {
		return nil
	}
	l := &list{r: r, from: beginsOf(r)}
	for _, c := range contributors {
		c(l)
	}
	for i := range l.steps {
		l.steps[i].Record = TickOf(r.Scope.Trailer, l.steps[i].ID)
	}
	left := l.own(all)
	steps := l.waiting()
	refused := l.moved(all, steps)
	if left > 0 {
		refused = append(refused, said.Say("% of the steps you added are scheduled and % are not: combine the small ones.",
			said.Count(mostOwn), said.Count(left)))
	}
	order, turns, side, err := sequence.Order(steps)
	if err != nil {
		return nil // contributors make no circles: a test holds them to it
	}
	out := &Work{Steps: []WorkStep{}, Turns: turns, Begins: string(l.from), Refused: refused, Beyond: left}
	hours, chain, _ := sequence.Critical(steps)
	out.Chain = hours
	shut := l.shut(steps, order, all)
	lift := newLift(r, l.from)
	people := 1
	if w := r.Trailer.Workshop; w != nil {
		people = max(1, w.People)
	}
	for k, i := range order {
		s := l.steps[i]
		if own := sides[s.Side]; own != sequence.Any && own != side {
			s.Turn, side = true, own
			s.People = lift.turners()
		}
		lift.add(s.ID)
		s.Weighs, s.Two = lift.weighs(), lift.crossed()
		if s.People > people {
			s.Hazard = strings.TrimSpace(s.Hazard + " It takes more than one person: never lift it alone.")
		}
		if !s.Done {
			out.Left++
			s.Waits = shut[i]
		}
		s.Chain = slices.Contains(chain, i)
		s.After = []string{}
		for _, b := range steps[i].After {
			s.After = append(s.After, l.steps[b].ID)
		}
		s.Up = k > 0 && !slices.Contains(steps[i].After, order[k-1])
		s.Down = k+1 < len(order) && !slices.Contains(steps[order[k+1]].After, i)
		out.Hours[0], out.Hours[1] = out.Hours[0]+s.Minutes[0]/60, out.Hours[1]+s.Minutes[1]/60
		out.Steps = append(out.Steps, s)
	}
	out.Says, out.Stand = summary(out), standOf(r, out.Steps)
	return out
}

// shut says of each step why it is locked: its own gate does not hold, or that of one that it waits for and that is not done.
func (l *list) shut(steps []sequence.Step, order []int, all records.All) []said.Sentence {
	gates := map[string]finding.Finding{}
	for _, f := range Check(l.r) {
		gates[f.Code] = f
	}
	out := make([]said.Sentence, len(l.steps))
	snags := Snags(l.r, all)
	for _, i := range order { // each after those that it waits for
		s := &l.steps[i]
		ticked(l.r, all, s)
		if s.ID == "first-drive" && snags.Stops > 0 {
			out[i] = said.Say(
				"% must be fixed before it is driven, under Snags.",
				said.Counted(snags.Stops, "snag", "snags"),
			)
			continue
		}
		f, asked := gates[s.gate]
		if s.gate != "" && (!asked || !passes(&f)) {
			out[i] = said.Say("First tape it, under " + tabs[s.gate] + ".")
			if asked && f.Outcome != finding.Unknown {
				out[i] = f.Says
			}
			continue
		}
		for _, b := range steps[i].After {
			if len(out[b]) > 0 && !l.steps[b].Done {
				out[i] = append(said.Say("First: "), l.steps[b].Says...)
				break
			}
		}
	}
	return out
}

// summary says the whole in a sentence.
func summary(w *Work) said.Sentence {
	hour := func(k int) said.Piece { return said.Of(quantity.KindTime, w.Hours[k]*3600) }
	if w.Turns == 0 {
		return said.Say("% steps, % to go; % to % of work. It is never turned over.",
			said.Count(len(w.Steps)), said.Count(w.Left), hour(0), hour(1))
	}
	return said.Say("% steps, % to go; % to % of work, turned over % times.",
		said.Count(len(w.Steps)), said.Count(w.Left), hour(0), hour(1), said.Count(w.Turns))
}

// passes reports whether a gate lets its step go on: it holds, or only the tape is too rough to tell.
func passes(f *finding.Finding) bool {
	return f.Outcome == finding.Holds || f.Outcome == finding.Tight && f.Tight == finding.GuessTooRough
}

var (
	sides = map[string]sequence.Side{"up": sequence.Up, "down": sequence.Down}
	tabs  = map[string]string{CodeSquare: "Square", CodeLevel: "Level", CodeAxle: "Axle"}
)
