package lashing

import (
	"zygonos/core/facts/norms"
	"zygonos/core/lang/finding"
	"zygonos/core/lang/quantity"
	"zygonos/core/lang/said"
	"zygonos/core/rig"
)

// press says how far straps over a hull are drawn, where their tighteners would draw more
// than it bears: 2·T·sin α of a strap down to both sides.
func press(r *rig.Rig, l *Load, f finding.Finding) (finding.Finding, bool) {
	for i := range l.Ties {
		t := &l.Ties[i]
		if t.Eased == 0 {
			continue
		}
		f.Source = norms.Practice("100 kg of a strap's press, or 1.5 times the hull's weight")
		f.Figure, f.Limit = finding.Exactly(
			quantity.KindMass,
			t.Pull*t.down(),
		), finding.Exactly(
			quantity.KindMass,
			l.press(),
		)
		f.Says = said.Say(
			"% over % could press it with %; it takes %. Tighten it to % and no more, and slacker in the heat.",
			said.Name(t.Name, "A strap"),
			said.Name(l.Item.Name, "the hull"),
			said.Mass(t.Eased*t.down()),
			said.Mass(l.press()),
			said.Mass(t.Pull),
		)
		if p := r.Plan.Straps[r.Layout.Lashings[t.ID].Strap].Pull; p != nil { // stated, not usual
			f.Outcome, f.Tight = finding.Tight, finding.LittleRoom
		}
		return f, true
	}
	return f, false
}

// A pack thinner and longer than that, m, is sheets: they lift and slide (practice, C).
const (
	sheetThick = 0.15
	sheetLong  = 2.0
)

// practice are the rules that no sum gives: machines at four corners, hulls twice over
// and, where they reach far or go fast, a line at bow and stern; something before sheets.
func practice(r *rig.Rig, l *Load, f finding.Finding) (finding.Finding, bool) {
	f.Source = norms.Practice("four corners for machines, two over a hull")
	name := said.Name(l.Item.Name, "a load")
	overs, front, rear := 0, 0, 0
	for i := range l.Ties {
		t := &l.Ties[i]
		if t.Over {
			overs++
			continue
		}
		if t.Ends[0].Along[0] < -0.2 {
			front++
		} else if t.Ends[0].Along[0] > 0.2 {
			rear++
		}
	}
	tight := func(says said.Sentence) (finding.Finding, bool) {
		f.Outcome, f.Tight, f.Says = finding.Tight, finding.LittleRoom, says
		return f, true
	}
	deck, tail := r.Deck()
	switch {
	case l.Item.Shape == "wheels" && (front < 2 || rear < 2):
		return tight(said.Say("Hold % at four corners: two straps forward, two back, at its axles or frame.", name))
	case l.Item.Lot != nil && l.Item.Top-l.Item.Bottom < sheetThick && l.Item.Length() > sheetLong && !l.Blocked:
		return tight(
			said.Say(
				"Put something in front of % too: long sheets slide out from under straps. Run one strap along their length.",
				name,
			),
		)
	case l.Item.Shape == "hull" && overs < 2:
		return tight(said.Say("Use two straps over %, not one.", name))
	case l.Item.Shape == "hull" && !l.NoLines && front+rear < 2 && (l.Item.Rear-tail > 1 || deck-l.Item.Front > 1 || r.Outing.Speed != nil && float64(*r.Outing.Speed) > 22.3):
		return tight(said.Say("Put a line at bow and stern of %: it reaches far, or goes fast.", name))
	}
	return f, false
}
