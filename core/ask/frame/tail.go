package frame

import (
	"math"
	"slices"
	"strings"

	"gonum.org/v1/gonum/spatial/r3"

	"zygonos/core/lang/quantity"
	"zygonos/core/lang/said"
	"zygonos/core/plan"
	"zygonos/core/rig"
	"zygonos/core/sums/frame3d"
)

// Figures of practice (confidence C).
const (
	heavyAxle = 0.6 // of a machine's weight that its heavier axle bears
	rolls     = 1.2 // times, as it comes over the edge
	mostTies  = 12  // tie points that are pulled, one after the other
)

// onTail is a machine, the heaviest with its driver of those that roll on, whose heavier axle stands on the tail's
// edge as it is driven on, the rest of the deck empty, with the props where they stand; false where nothing rolls on.
func onTail(m *model) (loadCase, bool) {
	lay := m.r.Layout
	if lay == nil || lay.Loading == nil {
		return loadCase{}, false
	}
	var mass quantity.Range[float64]
	var machine *rig.Item
	machines := m.r.Machines()
	for i := range m.r.Items { // the one that is stated, whatever it is
		if it := &m.r.Items[i]; it.ID == lay.Loading.Machine && !it.Part {
			machines = append(machines, it)
		}
	}
	for _, it := range machines {
		if it.Mass == nil {
			continue
		}
		s := rig.Driver(m.r.Plan, rig.LoadingOf(m.r.Plan, lay.Loading, it.ID))
		if sum := it.Mass.Nominal + s.Nominal; machine == nil || sum > mass.Nominal {
			machine = it
			mass = quantity.Range[float64]{Nominal: sum, Low: it.Mass.Low + s.Low, High: it.Mass.High + s.High}
		}
	}
	if machine == nil {
		return loadCase{}, false
	}
	half := math.Min(0.4*m.r.DeckWidth(), (machine.Right-machine.Left)/2)
	load := m.r.Plan.Loads[machine.ID]
	if w := load.Rolling; w != nil && w.Track != nil {
		half = float64(w.Track.Value) / 2
	}
	c := loadCase{
		id: "tail", name: said.Say("% coming on over the tail", said.Name(load.Name, "the machine")), why: practice,
		load: func(l *loader, all []body, high bool) bool {
			m := mass.Nominal
			if high {
				m = mass.High
			}
			rest := slices.DeleteFunc(
				slices.Clone(all),
				func(o body) bool { return o.path == machine.Path },
			)
			ok := l.weigh(rest, still(1), high)
			force := vec{Z: -m * heavyAxle * rolls * quantity.Gravity / 2}
			for _, y := range []float64{-half, half} {
				ok = l.press(vec{X: l.r.DeckLength(), Y: y}, force) && ok
			}
			return ok
		},
	}
	if lay.Loading.Props != nil {
		c.name = append(c.name, said.Say(", props down")...)
		c.stand = propped
	}
	return c, true
}

// propped stands both outermost rails on props at the joints nearest to where they stand; nil where there
// are no two rails.
func propped(m *model) []frame3d.Support {
	left, right := m.outer()
	if left < 0 || right < 0 {
		return nil
	}
	at := m.r.DeckLength()
	if b := float64(m.r.Layout.Loading.Props.Back); b > 0 {
		at = b
	}
	out := slices.Clone(m.m.Supports)
	for _, bar := range []int{left, right} {
		best, least := 0, math.Inf(1)
		for _, p := range m.places[bar] {
			if d := math.Abs(m.bars[bar].At(p.at).X - at); d < least {
				best, least = p.node, d
			}
		}
		out = append(out, frame3d.Support{Node: best, Held: [6]bool{frame3d.Z: true}})
	}
	return out
}

// pulls are tie points that are drawn at with their rating, up and inward at 45°, one after the other; those
// without a rating are not. What draws at a ring presses elsewhere, so that ball and wheels bear no more in all: a
// load that stands beside it, in the deck's middle or a quarter of the deck's width from it, and one all over the
// deck, its weight's middle at the ring.
func pulls(m *model) (out []loadCase) {
	points := m.r.Trailer.TiePoints
	for n, id := range plan.Ordered(points, func(t plan.TiePoint) int { return t.Order }) {
		t := points[id]
		if t.Rating == nil || n >= mostTies {
			continue
		}
		force := float64(*t.Rating) * quantity.Gravity * math.Sqrt2 / 2
		inward := -1.0
		if t.At.Right < 0 {
			inward = 1
		}
		at := vec{X: float64(t.At.Back), Y: float64(t.At.Right)}
		named := said.Name(strings.ReplaceAll(id, "-", " "), "without a name")
		add := func(id string, stands said.Sentence, back func(l *loader) bool) {
			out = append(out, loadCase{
				id: id, why: practice,
				name: append(said.Say("the tie point % drawn at with %", named, said.Mass(*t.Rating)), stands...),
				load: func(l *loader, all []body, high bool) bool {
					ok := l.pull(at, vec{Y: inward * force, Z: force})
					ok = back(l) && ok
					return l.weigh(all, still(1), high) && ok
				},
			})
		}
		add("tie-"+id, said.Say(", its load beside it"), func(l *loader) bool {
			y := at.Y + inward*math.Max(math.Abs(at.Y), m.r.DeckWidth()/4)
			return l.press(vec{X: at.X, Y: y}, vec{Y: -inward * force, Z: -force})
		})
		add("tie-wide-"+id, said.Say(", its load all over the deck"), func(l *loader) bool {
			half := m.r.DeckWidth() / 2
			feet := grid(0, m.r.DeckLength(), -half, half)
			ok := l.press(vec{X: at.X}, vec{Y: -inward * force})
			for k, w := range shares(feet, -force, at.X, at.Y, 0, 0) {
				ok = l.press(feet[k], vec{Z: w}) && ok
			}
			return ok
		})
	}
	return out
}

// byMember is how near to a member a tie point is bolted to it, m; further off the deck hands it on.
const byMember = 0.06

// pull puts a force at the deck's height on the member beside a place of the deck, of two on the one that lies
// higher; where there is none, on those that bear the deck there. It reports whether anything takes it.
func (l *loader) pull(at, force vec) bool {
	best, where, least := -1, 0.0, byMember
	for i := range l.bars {
		b := &l.bars[i]
		s := math.Max(0, math.Min(b.Length, (at.X-b.From.X)*b.Axes[0].X+(at.Y-b.From.Y)*b.Axes[0].Y))
		p := b.At(s)
		if off := math.Hypot(at.X-p.X, at.Y-p.Y) - 0.1*p.Z; off < least {
			best, where, least = i, s, off
		}
	}
	if best < 0 {
		return l.press(at, force)
	}
	l.onBar(best, where, force, r3.Cross(r3.Sub(at, l.bars[best].At(where)), force))
	return true
}
