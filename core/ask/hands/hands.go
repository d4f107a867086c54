// Package hands answers whether a hand that turns a crank or works a lever strikes what stands beside
// it. Formulas: docs/method/hands.md.
package hands

import (
	"math"
	"slices"

	"zygonos/core/facts/norms"
	"zygonos/core/lang/finding"
	"zygonos/core/lang/quantity"
	"zygonos/core/lang/said"
	"zygonos/core/rig"
)

// CodeRoom is the code of the finding on a hand's room.
const CodeRoom = "hands.room"

// Figures of practice, m (confidence C).
const (
	knuckles = 0.06 // that a hand stands out beyond its grip
	room     = 0.03 // that is left beside it
	reach    = 0.30 // across: crank, hand and sleeve beside the drum
)

// Room is how far a circle stays from a box, both seen from the side, m: from its middle (x, z) to
// the nearest point of the box, less its radius; negative where it cuts it.
func Room(x, z, radius, front, rear, bottom, top float64) float64 {
	dx := max(front-x, 0, x-rear)
	dz := max(bottom-z, 0, z-top)
	return math.Hypot(dx, dz) - radius
}

// Check looks at what a hand sweeps: the winch's crank or lever, and latches of what hinges.
func Check(r *rig.Rig) []finding.Finding { return append(winch(r), latches(r)...) }

// winch looks at the circle of its crank or lever against deck, loads and parts, with the machine
// where it stands in the end.
func winch(r *rig.Rig) []finding.Finding {
	if r.Layout == nil || r.Layout.Loading == nil || r.Layout.Loading.Winch == nil || r.DeckFront == nil {
		return nil
	}
	w := r.Layout.Loading.Winch
	handle, what := float64(w.Crank), "crank"
	if w.Lever != nil && w.Lever.Handle > 0 {
		handle, what = float64(w.Lever.Handle), "lever"
	}
	if handle <= 0 {
		return nil
	}
	front, rear := r.Deck()
	x, z, y := front+float64(w.Back), r.DeckHeight()+float64(w.Up), float64(w.Aside)
	for i := range r.Items {
		if it := &r.Items[i]; it.ID == r.Layout.Loading.Machine && !it.Part {
			y += (it.Left + it.Right) / 2
		}
	}
	radius := handle + knuckles
	least, by := math.Inf(1), said.Piece{Text: "the deck"}
	if math.Abs(y) < r.DeckWidth()/2+reach { // over the deck, which begins at the front board
		least = Room(x, z, radius, front, rear, r.DeckHeight()-0.1, r.DeckHeight())
	}
	for i := range r.Items {
		it := &r.Items[i]
		if it.Part && r.Plan.Parts[it.ID].Kind == "winch" || it.Left > y+reach || it.Right < y-reach {
			continue
		}
		if d := Room(x, z, radius, it.Front, it.Rear, it.Bottom, it.Top); d < least {
			least, by = d, said.Name(it.Name, "what stands there")
		}
	}
	f := finding.Finding{
		Code: CodeRoom, Stage: "ramps", Scope: r.Scope, Subject: r.LayoutPath("/loading/winch"),
		Title: said.Say("Room for the hand"), Outcome: finding.Holds, Source: practice,
	}
	if math.IsInf(least, 1) {
		f.Says = said.Say("Nothing stands near the "+what+", which sweeps % round.", said.Length(radius))
		return []finding.Finding{f}
	}
	return []finding.Finding{
		judged(f, said.Say("The hand on the "+what), least, by, "Set it higher or farther forward, or use a shorter one."),
	}
}

var practice = norms.Practice("60 mm of knuckles and 30 mm beside them")

// judged holds what is left beside a hand against the room that it wants.
func judged(f finding.Finding, hand said.Sentence, least float64, by said.Piece, act string) finding.Finding {
	f.Figure, f.Limit = finding.Exactly(quantity.KindLength, least), finding.Exactly(quantity.KindLength, room)
	rest := said.Say(" stays % from %.", said.Length(least), by)
	switch {
	case least < 0:
		f.Outcome = finding.Fails
		rest = said.Say(" strikes %, by %. "+act, by, said.Length(-least))
	case least < room:
		f.Outcome, f.Tight = finding.Tight, finding.LittleRoom
		rest = said.Say(" comes within % of %. Mind the knuckles.", said.Length(least), by)
	}
	f.Says = append(slices.Clone(hand), rest...)
	return f
}
