package practice

import (
	"math"
	"math/rand/v2"
	"slices"

	"zygonos/core/lang/finding"
	"zygonos/core/lang/quantity"
	"zygonos/core/lang/said"
	"zygonos/core/lang/scene"
	"zygonos/core/plan"
)

// Case is something to judge: what is given, what is asked, what may be chosen. Its answer is not in it.
type Case struct {
	Topic   string          `json:"topic"`
	Seed    uint64          `json:"seed"`
	Level   int             `json:"level"`
	Ask     said.Sentence   `json:"ask"`
	Given   []said.Sentence `json:"given"`
	View    *scene.View     `json:"view,omitempty"`
	Choices []said.Sentence `json:"choices"`
	Figure  *FigureAsked    `json:"figure,omitempty"` // it is answered by a figure instead
	Own     bool            `json:"own,omitempty"`    // of the plan's own loads
}

// FigureAsked is a figure to be given, by hand or by typing.
type FigureAsked struct {
	Kind   quantity.Kind `json:"kind"`
	Most   float64       `json:"most"`   // of the slider, SI
	Within float64       `json:"within"` // share within which it counts as right
}

// Truth is the answer with its working, and why the one that was chosen is wrong.
type Truth struct {
	Right   int             `json:"right"` // which of the choices
	Correct bool            `json:"correct"`
	Says    said.Sentence   `json:"says"`
	Why     []said.Sentence `json:"why"`
	Mistake said.Sentence   `json:"mistake,omitempty"`
}

// choice is one of a case's choices before they are shuffled; the first is right. mistake says why it tempts and is wrong.
type choice struct {
	says    said.Sentence
	mistake said.Sentence
	value   float64 // of a figure, SI
}

// made is a case with its answer.
type made struct {
	ask     said.Sentence
	given   []said.Sentence
	view    *scene.View
	choices []choice // the right one first, until they are shuffled
	right   int
	why     []said.Sentence
	own     bool
	figure  *FigureAsked
	value   float64 // of the right figure, SI
}

// maker makes a case of a topic; ok is false where the dice fell badly, and it is thrown again.
type maker struct {
	id   string
	name string
	make func(r *rand.Rand, level int, p *plan.Plan) (made, bool)
}

var makers = []maker{
	{"ball", "Ball load", ballCase},
	{"holds", "Does it hold?", holdsCase},
	{"fixes", "Which way out?", fixesCase},
	{"fill", "How full?", fillCase},
	{"label", "What the label means", labelCase},
	{"ramp", "Will it clear?", rampCase},
	{"straps", "How many straps?", strapsCase},
	{"wiring", "Which wire?", wiringCase},
	{"square", "Which corner?", squareCase},
	{"seller", "What do you ask?", sellerCase},
	{"where", "Where do the straps go?", whereCase},
}

// Levels are how hard a case may be: at the last the wrong answers lie nearest.
const Levels = 3

// mostThrows is how often a case is thrown before its topic gives up.
const mostThrows = 400

// throw makes a case by its seed: the same each time, without a clock.
func throw(topic string, seed uint64, level int, p *plan.Plan) (made, bool) {
	i := slices.IndexFunc(makers, func(m maker) bool { return m.id == topic })
	if i < 0 {
		return made{}, false
	}
	level = min(Levels, max(1, level))
	r := rand.New(rand.NewPCG(seed, uint64(i)*1000+uint64(level)))
	for range mostThrows {
		m, ok := makers[i].make(r, level, p)
		if ok && distinct(m.choices) {
			order := r.Perm(len(m.choices))
			shuffled := make([]choice, len(order))
			for from, to := range order {
				shuffled[to] = m.choices[from]
			}
			m.choices, m.right = shuffled, order[0]
			return m, true
		}
	}
	return made{}, false
}

// distinct reports whether no two choices read alike.
func distinct(all []choice) bool {
	seen := map[string]bool{}
	for _, c := range all {
		for _, l := range []quantity.Locale{{Units: quantity.Metric}, {Units: quantity.Imperial}} {
			t := string(l.Units) + c.says.Text(l)
			if seen[t] {
				return false
			}
			seen[t] = true
		}
	}
	return len(all) >= 2
}

// Deal makes a case; p is the open plan or nil. ok is false where the topic is not known.
func Deal(topic string, seed uint64, level int, p *plan.Plan) (*Case, bool) {
	m, ok := throw(topic, seed, level, p)
	if !ok {
		return nil, false
	}
	c := &Case{
		Topic: topic, Seed: seed, Level: min(Levels, max(1, level)), Ask: m.ask, Given: m.given, View: m.view, Own: m.own,
		Choices: []said.Sentence{},
	}
	if c.Given == nil {
		c.Given = []said.Sentence{}
	}
	if m.figure != nil {
		c.Figure = m.figure
		return c, true
	}
	for _, x := range m.choices {
		c.Choices = append(c.Choices, x.says)
	}
	return c, true
}

// Judge is the truth of a case, and whether that choice is right, or that figure, SI, where one was asked for.
func Judge(topic string, seed uint64, level int, p *plan.Plan, chosen int, figure float64) (*Truth, bool) {
	m, ok := throw(topic, seed, level, p)
	if !ok {
		return nil, false
	}
	out := &Truth{Right: m.right, Why: slices.Concat([]said.Sentence{}, m.why), Correct: chosen == m.right}
	right := m.choices[m.right].says
	if m.figure != nil {
		out.Right = -1
		out.Correct = math.Abs(figure-m.value) <= m.figure.Within*m.value
		if !out.Correct { // the mistake that leads nearest to what was given
			best := m.figure.Within
			for i, c := range m.choices {
				if v := c.value; i != m.right && v > 0 && math.Abs(figure/v-1) <= best {
					best, out.Mistake = math.Abs(figure/v-1), c.mistake
				}
			}
			if out.Mistake == nil {
				out.Mistake = said.Say("More than % off.", said.Of(quantity.KindShare, m.figure.Within))
			}
		}
	}
	out.Says = slices.Concat(said.Say("Right: "), right, said.Say("."))
	if !out.Correct {
		out.Says = slices.Concat(said.Say("It is: "), right, said.Say("."))
		if m.figure == nil && chosen >= 0 && chosen < len(m.choices) {
			out.Mistake = m.choices[chosen].mistake
		}
	}
	return out, true
}

// Topic is something to practise.
type Topic struct {
	ID   string `json:"id"`
	Name string `json:"name"`
}

// Topics lists them.
func Topics() (out []Topic) {
	for _, m := range makers {
		out = append(out, Topic{m.id, m.name})
	}
	return out
}

// figures are choices of a quantity: the first is right, the others are what named mistakes give. ok is false where two lie nearer
// than the level asks: a third of the right one at first, an eighth at last.
func figures(k quantity.Kind, level int, right float64, wrong ...struct {
	v       float64
	mistake string
}) (out []choice, ok bool) {
	gap := [Levels]float64{0.33, 0.2, 0.125}[level-1] * math.Abs(right)
	all := []float64{right}
	out = []choice{{says: said.Sentence{said.Of(k, right)}, value: right}}
	for _, w := range wrong {
		if !quantity.Finite(w.v) || !(w.v > 0) {
			continue
		}
		if slices.ContainsFunc(all, func(v float64) bool { return math.Abs(v-w.v) < gap }) {
			continue
		}
		all = append(all, w.v)
		out = append(out, choice{said.Sentence{said.Of(k, w.v)}, said.Say(w.mistake), w.v})
	}
	return out, len(out) >= 3 && finding.Exactly(k, right) != nil
}

type mistaken = struct {
	v       float64
	mistake string
}

// asked makes a case of figures one that is answered by a figure, at the hardest level: within 15 %.
func (m *made) asked(k quantity.Kind, level int) {
	if level < Levels {
		return
	}
	most := 0.0
	for _, c := range m.choices {
		most = math.Max(most, c.value)
	}
	m.value = m.choices[0].value
	m.figure = &FigureAsked{Kind: k, Most: math.Ceil(most*1.3*20) / 20, Within: 0.15}
}

// among picks one of a list.
func among[T any](r *rand.Rand, list ...T) T { return list[r.IntN(len(list))] }

// between picks a figure in steps.
func between(r *rand.Rand, low, high, step float64) float64 {
	n := int(math.Round((high - low) / step))
	return math.Round((low+float64(r.IntN(n+1))*step)/step) * step
}
