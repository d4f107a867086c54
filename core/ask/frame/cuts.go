package frame

import (
	"math"

	"zygonos/core/lang/finding"
	"zygonos/core/lang/quantity"
	"zygonos/core/lang/said"
	"zygonos/core/plan"
	"zygonos/core/rig"
)

// CodeCuts is the code of the finding on what is cut out of members.
const CodeCuts = "frame.cuts"

// roundHole is the least hole that rounds a notch's corner, m (practice, C).
const roundHole = 0.010

// cuts tells what notches and holes leave of a member's bending strength, and flags sharp corners; what is
// left is in the strength itself. False where nothing is cut out.
func cuts(r *rig.Rig) (finding.Finding, bool) {
	f := base(r, CodeCuts, "Notches and holes")
	f.Source = &practice
	worst, least, sharp := -1, math.Inf(1), -1
	for i := range r.Drawn.Bars {
		b := &r.Drawn.Bars[i]
		for k := range b.Cuts {
			c := &b.Cuts[k]
			if left := math.Min(c.Net.Wy/b.Section.Wy, c.Net.Wz/b.Section.Wz); left < least {
				worst, least = i, left
			}
			if sharp < 0 && c.Cut.What == plan.CutNotch && !c.Cut.Rounded {
				sharp = i
			}
		}
	}
	if worst < 0 {
		return f, false
	}
	f.Figure = finding.Exactly(quantity.KindShare, least)
	f.Subject = f.Subject + "/members/" + r.Drawn.Bars[worst].ID
	f.Says = said.Say("Cutting into % leaves % of its bending strength there; the strength check counts with that.",
		said.Name(r.Drawn.Bars[worst].Member.Name, "a member"), said.Share(math.Round(least*100)/100))
	if sharp >= 0 {
		f.Subject = "/trailers/" + r.Scope.Trailer + "/frame/members/" + r.Drawn.Bars[sharp].ID
		f.Outcome, f.Tight = finding.Tight, finding.LittleRoom
		f.Says = said.Say(
			"The notch in % has sharp corners, and cracks start in sharp corners. Drill holes of % or more there first, then saw from hole to hole.",
			said.Name(r.Drawn.Bars[sharp].Member.Name, "a member"),
			said.Length(roundHole),
		)
	}
	return f, true
}
