package frame

import (
	"math"

	"zygonos/core/lang/finding"
	"zygonos/core/lang/quantity"
	"zygonos/core/lang/said"
	"zygonos/core/rig"
)

// CodeHeight is the code of the finding on how high axle and rails bring the deck.
const CodeHeight = "frame.height"

// heightOff is by how much the height that is entered may differ, m (practice, C).
const heightOff = 0.030

// height sums what stands between the ground and the deck's underside: the wheel's radius, less the axle's
// drop, the rails over the axle's middle, their height; and says how the deck then lies to the wheels. False
// where the axle's seat is not stated.
func height(r *rig.Rig) (finding.Finding, bool) {
	f := base(r, CodeHeight, "Deck height from its parts")
	f.Gate, f.Source = "", &practice
	t := r.Trailer.Frame
	left, right := -1, -1
	for i := range r.Drawn.Bars {
		b := &r.Drawn.Bars[i]
		if math.Abs(b.Axes[0].X) < 0.9 || b.Member.Role != "rail" {
			continue
		}
		if y := b.Middle().Y; y < -0.05 && (left < 0 || y < r.Drawn.Bars[left].Middle().Y) {
			left = i
		} else if y > 0.05 && (right < 0 || y > r.Drawn.Bars[right].Middle().Y) {
			right = i
		}
	}
	if t.AxleSeat == nil || left < 0 {
		return f, false
	}
	rail := &r.Drawn.Bars[left]
	under := math.Abs(rail.Middle().Z) + rail.High/2 // of the rail, under the deck's underside
	drop := 0.0
	if t.AxleDrop != nil {
		drop = float64(*t.AxleDrop)
	}
	radius := r.WheelRadius()
	sum := radius - drop + float64(*t.AxleSeat) + under
	f.Subject = "/trailers/" + r.Scope.Trailer + "/deckHeight"
	f.Figure = finding.Exactly(quantity.KindLength, sum)
	f.Says = append(
		said.Say("From axle and rails the deck is % above the ground, ", said.Length(sum)),
		lies(r, sum)...)
	if h := r.Trailer.DeckHeight; h != nil && math.Abs(float64(h.Value)-sum) > heightOff {
		f.Limit = finding.Exactly(quantity.KindLength, float64(h.Value))
		f.Outcome, f.Tight = finding.Tight, finding.LittleRoom
		f.Says = append(
			f.Says,
			said.Say(" % is entered: one of the two is wrong, and the balance uses that one.",
				said.Length(h.Value))...)
	}
	return f, true
}

// lies says how a deck at a height lies to the wheels.
func lies(r *rig.Rig, at float64) said.Sentence {
	half, broad := 0.0, tyreUsual
	if t := r.Trailer.Track; t != nil {
		half = float64(t.Value) / 2
	}
	if w := r.Tyre().Width; w != nil {
		broad = float64(*w)
	}
	over := at - 2*r.WheelRadius()
	switch {
	case half > 0 && r.DeckWidth()/2 <= half-broad/2:
		return said.Say("between the wheels.")
	case over >= 0:
		return said.Say("% above the {tyre}s: on a bump they come up to it.", said.Length(over))
	}
	return said.Say("% below the tops of the {tyre}s: they stand up through it and need boxes.", said.Length(-over))
}
