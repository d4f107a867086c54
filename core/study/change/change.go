// Package change tells what it takes to change over from one outing to the next on one trailer: what
// comes off and goes on, people, minutes, tools, the axle; and the order of outings with the least
// handling. Formulas: docs/method/change.md.
package change

import (
	"cmp"
	"context"
	"math"
	"slices"

	"zygonos/core/facts/catalogue"
	"zygonos/core/lang/finding"
	"zygonos/core/lang/quantity"
	"zygonos/core/lang/said"
	"zygonos/core/parts"
	"zygonos/core/plan"
)

// Figures of practice (confidence C): minutes.
const (
	pinned      = 3.0
	bolted      = 15.0
	loose       = 2.0
	rolling     = 10.0
	shovelled   = 20.0
	perKilogram = 0.05 // of what is carried, by one
	axleShift   = 60.0
	liftEasy    = 25.0 // kg a person
	mostOrdered = 8    // outings whose order is looked through
)

// Handled is something that comes off or goes on.
type Handled struct {
	Path    string           `json:"path"`
	Name    string           `json:"name"`
	Mass    *finding.Measure `json:"mass,omitempty"`
	People  int              `json:"people"`
	Minutes float64          `json:"minutes"`
	Tools   string           `json:"tools,omitempty"`
}

// Change is from one outing to another.
type Change struct {
	From    string           `json:"from"` // outing; empty for a bare trailer
	To      string           `json:"to"`
	Off     []Handled        `json:"off"`
	On      []Handled        `json:"on"`
	Axle    *finding.Measure `json:"axle,omitempty"` // that it must be moved by, m
	Carried *finding.Measure `json:"carried"`        // kg, off and on
	People  int              `json:"people"`
	Time    *finding.Measure `json:"time"`
	Says    said.Sentence    `json:"says"`
}

// Changes are the outings in an order, with what each change takes.
type Changes struct {
	Steps  []Change         `json:"steps"`
	Order  []string         `json:"order"`            // outings
	Time   *finding.Measure `json:"time,omitempty"`   // of all changes
	Before *finding.Measure `json:"before,omitempty"` // … in the plan's own order
	Best   bool             `json:"best"`             // all orders were looked through
}

// layout is an outing's on a trailer; nil where it is not loaded there.
func layout(p *plan.Plan, outing, trailer string) *plan.Layout {
	if l, ok := p.Outings[outing].Layouts[trailer]; ok {
		return &l
	}
	return nil
}

// partOf tells what taking a part off, or putting it on, takes.
func partOf(p *plan.Plan, id string) Handled {
	x := parts.Filled(p.Parts[id])
	t := Handled{Path: "/parts/" + id, Name: x.Name, People: 1}
	switch x.Undo {
	case "":
		t.Minutes = pinned
	case "welded":
		t.Tools = "welded on: it stays"
		return t
	case "bolts":
		t.Minutes, t.Tools = bolted, "spanners"
	default:
		t.Minutes, t.Tools = pinned, x.Undo
	}
	return weigh(t, x.Mass)
}

// loadOf tells the same of a load.
func loadOf(p *plan.Plan, id string) Handled {
	l := p.Loads[id]
	t := Handled{Path: "/loads/" + id, Name: l.Name, People: 1, Minutes: loose}
	if l.Bulk != nil {
		t.Tools, t.Minutes = "shovel or loader", shovelled
		return t
	}
	if k, ok := catalogue.LoadOf(l.Kind); l.Rolling != nil || ok && k.Rolls != nil {
		t.Tools, t.Minutes = "ramps", rolling
		if l.Mass != nil {
			t.Mass = finding.Exactly(quantity.KindMass, l.Mass.Value)
		}
		return t
	}
	return weigh(t, l.Mass)
}

// weigh adds people and minutes for the mass: one person for each 25 kg, four at most, 3 s a kilogram.
func weigh(t Handled, m *plan.MassEstimate) Handled {
	if m == nil {
		return t
	}
	t.Mass = finding.Exactly(quantity.KindMass, m.Value)
	t.People = int(min(4, max(1, math.Ceil(float64(m.Value)/liftEasy))))
	t.Minutes += perKilogram * float64(m.Value)
	return t
}

// Between is the change from one outing's layout to another's; from may be empty: a bare trailer.
func Between(p *plan.Plan, trailer, from, to string) Change {
	s := Change{From: from, To: to, Off: []Handled{}, On: []Handled{}}
	a, b := layout(p, from, trailer), layout(p, to, trailer)
	if a == nil {
		a = &plan.Layout{}
	}
	if b == nil {
		b = &plan.Layout{}
	}
	kg, minutes := 0.0, 0.0
	add := func(to *[]Handled, t Handled) {
		*to = append(*to, t)
		minutes += t.Minutes
		s.People = max(s.People, t.People)
		if t.Mass != nil {
			kg += t.Mass.Value
		}
	}
	for _, id := range without(a.Parts, b.Parts) {
		add(&s.Off, partOf(p, id))
	}
	for _, id := range without(a.Placements, b.Placements) {
		add(&s.Off, loadOf(p, id))
	}
	for _, id := range without(b.Parts, a.Parts) {
		add(&s.On, partOf(p, id))
	}
	for _, id := range without(b.Placements, a.Placements) {
		add(&s.On, loadOf(p, id))
	}
	if from != "" {
		if d := axleAt(p, trailer, b) - axleAt(p, trailer, a); math.Abs(d) > 0.005 {
			s.Axle = finding.Exactly(quantity.KindLength, d)
			minutes += axleShift
			s.People = max(s.People, 2)
		}
	}
	s.Carried, s.Time = finding.Exactly(quantity.KindMass, kg), finding.Exactly(quantity.KindTime, minutes*60)
	s.Says = said.Say(
		"% moved, % at least, about %.",
		said.Mass(kg),
		said.Counted(max(1, s.People), "person", "people"),
		said.Of(quantity.KindTime, minutes*60),
	)
	if s.Axle != nil {
		s.Says = append(
			s.Says,
			said.Say(" The axle moves by %: jack, stands, spanners.", said.Length(math.Abs(s.Axle.Value)))...)
	}
	return s
}

// without lists what is in a and not in b, by id.
func without[T any](a, b map[string]T) []string {
	return slices.DeleteFunc(plan.Ordered(a, func(T) int { return 0 }), func(id string) bool {
		_, in := b[id]
		return in
	})
}

// axleAt is where a layout has the axle, m.
func axleAt(p *plan.Plan, trailer string, l *plan.Layout) float64 {
	if l.AxleAt != nil {
		return float64(*l.AxleAt)
	}
	if e := p.Trailers[trailer].CouplingToAxle; e != nil {
		return float64(e.Value)
	}
	return 0
}

// Of tells the changes on a trailer in the order of outings that takes the least time: all orders of up
// to eight outings are looked through; beyond that each next one is the nearest. The first is loaded
// onto a bare trailer.
func Of(ctx context.Context, p *plan.Plan, trailer string) *Changes {
	var ids []string
	for _, o := range p.OutingIDs() {
		if layout(p, o, trailer) != nil {
			ids = append(ids, o)
		}
	}
	out := &Changes{Steps: []Change{}, Order: []string{}}
	n := len(ids)
	if n == 0 {
		return out
	}
	cost := make([][]float64, n+1) // from n: the bare trailer
	for a := range cost {
		cost[a] = make([]float64, n)
		from := ""
		if a < n {
			from = ids[a]
		}
		for b := range n {
			cost[a][b] = Between(p, trailer, from, ids[b]).Time.Value
		}
	}
	total := func(order []int) float64 {
		sum, at := 0.0, n
		for _, i := range order {
			sum, at = sum+cost[at][i], i
		}
		return sum
	}
	own := make([]int, n)
	for i := range own {
		own[i] = i
	}
	best := slices.Clone(own)
	if n <= mostOrdered {
		out.Best = permute(slices.Clone(own), 0, func(order []int) bool {
			if total(order) < total(best)-1e-9 {
				best = slices.Clone(order)
			}
			return ctx.Err() == nil
		})
	} else if near := nearest(cost, n); total(near) < total(own) {
		best = near
	}
	at := ""
	for _, i := range best {
		out.Steps, out.Order = append(out.Steps, Between(p, trailer, at, ids[i])), append(out.Order, ids[i])
		at = ids[i]
	}
	out.Time, out.Before = finding.Exactly(
		quantity.KindTime,
		total(best),
	), finding.Exactly(
		quantity.KindTime,
		total(own),
	)
	return out
}

// permute calls each with every order of what stands from k on, until it says no; it reports whether it
// came to the end.
func permute(order []int, k int, each func([]int) bool) bool {
	if k == len(order) {
		return each(order)
	}
	for i := k; i < len(order); i++ {
		order[k], order[i] = order[i], order[k]
		if !permute(order, k+1, each) {
			return false
		}
		order[k], order[i] = order[i], order[k]
	}
	return true
}

// nearest goes on to whatever takes the least from where it is.
func nearest(cost [][]float64, n int) []int {
	var out []int
	at := n
	left := make([]int, n)
	for i := range left {
		left[i] = i
	}
	for len(left) > 0 {
		next := slices.MinFunc(left, func(a, b int) int {
			return cmp.Or(cmp.Compare(cost[at][a], cost[at][b]), cmp.Compare(a, b))
		})
		out, at = append(out, next), next
		left = slices.DeleteFunc(left, func(i int) bool { return i == next })
	}
	return out
}
