package wiring

import (
	"slices"

	"zygonos/core/lang/quantity"
	"zygonos/core/lang/said"
)

var plain = quantity.Locale{}

// Puzzle is a fault with what it shows, and faults that show something else.
type Puzzle struct {
	Shows  []said.Sentence // what is not as it should be, switch by switch
	Right  said.Sentence
	Wrong  []said.Sentence
	Reason said.Sentence // what to do about it
}

// Pose makes a puzzle of the n-th fault that shows at all, with other faults by pick; ok is false where there are too few. Faults that
// nothing tells apart from it are none of the wrong ones.
func (h *Harness) Pose(n int, pick func(n int) int) (p Puzzle, ok bool) {
	all, on := h.classes()
	sound := h.classify([]wrong{nil}, []float64{1}, on)
	if len(sound) == 0 {
		return p, false
	}
	var shows []int
	for i := range all {
		if !slices.Equal(all[i].looks, sound[0].looks) {
			shows = append(shows, i)
		}
	}
	const others = 3
	if len(shows) <= others {
		return p, false
	}
	at := shows[n%len(shows)]
	c := &all[at]
	p.Right, p.Reason = h.saysAll(c.faults[0]), h.todo(&c.faults[0][0])
	for s := range on {
		for i := range h.lamps {
			k := s*len(h.lamps) + i
			if c.looks[k] != sound[0].looks[k] {
				p.Shows = append(p.Shows, said.Say("With "+switchWord[on[s]]+" on, % is "+string(c.looks[k])+".",
					said.Name(h.called(i), "a lamp")))
			}
		}
	}
	for tries := 0; len(p.Wrong) < others && tries < 200; tries++ {
		o := &all[shows[pick(len(shows))]]
		says := h.saysAll(o.faults[0])
		if slices.Equal(o.looks, c.looks) ||
			slices.ContainsFunc(p.Wrong, func(w said.Sentence) bool { return w.Text(plain) == says.Text(plain) }) {
			continue
		}
		p.Wrong = append(p.Wrong, says)
	}
	return p, len(p.Wrong) == others
}
