package wiring

import (
	"math"
	"slices"

	"zygonos/core/facts/norms"
	"zygonos/core/lang/finding"
	"zygonos/core/lang/quantity"
	"zygonos/core/lang/said"
	"zygonos/core/plan"
	"zygonos/core/rig"
)

// Codes of what is seen of the lamps.
const (
	CodeHidden  = "wiring.hidden"
	CodeWatched = "wiring.watched"
	CodeKnocks  = "wiring.knocks"
)

// Figures of practice (confidence C).
const (
	behind   = 0.03 // m that something stands out behind a lamp before it hides it
	outside  = 0.03 // m beside or behind the deck at which a lamp meets gateposts
	aside    = 0.05 // m of a lamp's half width
	aliveAt  = 0.6  // A that a car wants to see of a stop or turn lamp, about a third of a bulb's
	tailLive = 0.15 // A of a tail lamp
)

// hidden asks whether a load or a part stands behind a rear lamp, seen straight from behind.
func hidden(r *rig.Rig, w *plan.Wiring) (finding.Finding, bool) {
	f := base(r, CodeHidden, "Lamps in sight")
	f.Source = &finding.Source{
		Title:      "UN R48",
		Clause:     "geometric visibility, seen from behind",
		AsOf:       norms.AsOf,
		Confidence: "B",
	}
	if r.DeckFront == nil {
		return f, false
	}
	rear := false
	for _, id := range plan.Ordered(w.Lamps, func(l plan.Lamp) int { return l.Order }) {
		l := w.Lamps[id]
		switch l.What {
		case plan.LampMarker, plan.LampFront, plan.LampSideReflector, plan.LampFrontReflector:
			continue
		}
		if l.Height == 0 || float64(l.Back) < r.DeckLength()/2 {
			continue
		}
		rear = true
		x, y, z := r.DeckFront.Nominal+float64(l.Back), float64(l.Right), float64(l.Height)
		for i := range r.Items {
			it := &r.Items[i]
			if it.Open || it.Rear < x+behind || y < it.Left-aside || y > it.Right+aside || z < it.Bottom ||
				z > it.Top {
				continue
			}
			f.Outcome = finding.Fails
			f.Subject += "/" + id
			f.Figure = finding.Exactly(quantity.KindLength, it.Rear-x)
			f.Says = said.Say(
				"% is % behind %: nobody behind sees it. Move it, or put the lamps on a bar behind it.",
				said.Name(it.Name, "Something"),
				said.Length(it.Rear-x),
				said.Name("the "+nameOf(&l), "a lamp"),
			)
			return f, true
		}
	}
	if !rear {
		return f, false
	}
	f.Says = said.Say("Nothing you carry is behind a rear lamp.")
	return f, true
}

// knocks tells of lamps that stand out beside or behind the deck with nothing before them.
func knocks(r *rig.Rig, w *plan.Wiring) (finding.Finding, bool) {
	f := base(r, CodeKnocks, "Lamps and knocks")
	f.Gate, f.Source = "", norms.Practice("a lamp that stands out beside the deck meets a gatepost")
	var bare []said.Sentence
	any := false
	for _, id := range plan.Ordered(w.Lamps, func(l plan.Lamp) int { return l.Order }) {
		l := w.Lamps[id]
		out := math.Max(math.Abs(float64(l.Right))-r.DeckWidth()/2, float64(l.Back)-r.DeckLength())
		if !l.What.Shines() || out <= outside {
			continue
		}
		any = true
		if !l.Guarded {
			bare = append(bare, said.Say("%", said.Name("the "+nameOf(&l), "a lamp")))
			f.Subject = "/trailers/" + r.Scope.Trailer + "/wiring/lamps/" + id + "/guarded"
		}
	}
	if !any {
		return f, false
	}
	if len(bare) == 0 {
		f.Says = said.Say("Lamps that stick out beside or behind the deck have a guard in front of them.")
		return f, true
	}
	f.Outcome, f.Tight = finding.Tight, finding.LittleRoom
	f.Says = append(said.List(bare...), said.Say(
		" stick out beside or behind the deck with nothing in front of them: a bent flat keeps gateposts and ramps off, or set them in.",
	)...)
	return f, true
}

// watched asks whether a car that watches its bulbs takes the trailer's lamps for dead ones: LED units draw less
// than it wants to see.
func (h *Harness) watched() (finding.Finding, bool) {
	f := base(h.r, CodeWatched, "The car's bulb check")
	f.Gate, f.Subject = "", "/trailers/"+h.r.Scope.Trailer+"/wiring/watched"
	f.Source = norms.Practice("a car reports under about a third of a bulb's current")
	if h.w.Watched == nil || !*h.w.Watched {
		return f, false
	}
	var weak []said.Sentence
	most := math.Inf(1)
	for _, s := range []Switch{SwitchTail, SwitchLeft, SwitchRight, SwitchStop} {
		l := h.solve([]Switch{s}, nil)
		if l.err != nil {
			return f, false
		}
		amps, limit, any := 0.0, aliveAt, false
		for _, a := range l.poles {
			amps += a
			any = any || a > 1e-6
		}
		if s == SwitchTail {
			limit = tailLive
		}
		if any && amps < limit {
			weak = append(weak, said.Say(switchWord[s]+" (%)", amperes(amps)))
			most = math.Min(most, amps)
		}
	}
	if len(weak) == 0 {
		f.Says = said.Say("What the lamps draw is enough for a car that watches its bulbs.")
		return f, true
	}
	f.Outcome, f.Tight = finding.Tight, finding.LittleRoom
	f.Figure = finding.Exactly(quantity.KindCurrent, most)
	f.Says = slices.Concat(
		said.Say("A car that watches its bulbs may take these for dead: "),
		said.List(weak...),
		said.Say(
			". It flashes fast or warns. Use a trailer module made for LED lamps, or a load resistor where it can get hot.",
		),
	)
	return f, true
}

// ProbePoint is a place at which a meter is held against the car's earth.
type ProbePoint struct {
	X     float64       `json:"x"` // as the view
	Y     float64       `json:"y"`
	Says  said.Sentence `json:"says"`
	Volts float64       `json:"volts"`
}

// points are the plug's contacts and both wires of each lamp, with what a meter shows there.
func (h *Harness) points(n *net, volts []float64, front float64) (out []ProbePoint) {
	if len(volts) == 0 {
		return nil
	}
	for i := range h.poles {
		if n.pole[i] > 0 {
			out = append(out, ProbePoint{-front, 0.04 * float64(i-len(h.poles)/2), h.poleName(i), volts[n.pole[i]]})
		}
	}
	beside := map[int]int{}
	for i := range h.lamps {
		l := &h.lamps[i]
		x, y := lampAt(l, beside[l.unit])
		beside[l.unit]++
		out = append(
			out,
			ProbePoint{
				x,
				y,
				said.Say("% of %", said.Piece{Text: "feed"}, said.Name(h.called(i), "a lamp")),
				volts[n.plus[i]],
			},
			ProbePoint{
				x,
				y,
				said.Say("% of %", said.Piece{Text: "earth"}, said.Name(h.called(i), "a lamp")),
				volts[n.unit[l.unit]],
			},
		)
	}
	return out
}

// lampAt is where a lamp is drawn: those of one unit behind each other.
func lampAt(l *lamp, k int) (x, y float64) {
	return float64(l.l.Back) + 0.11*float64(k), float64(l.l.Right)
}
