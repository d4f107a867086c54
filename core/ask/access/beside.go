package access

import (
	"math"

	"zygonos/core/lang/finding"
	"zygonos/core/lang/quantity"
	"zygonos/core/lang/said"
	"zygonos/core/plan"
	"zygonos/core/rig"
)

// Figures of practice (confidence C), m.
const (
	standsOut = 0.05 // beside the deck, from which something catches
	steppable = 0.60 // height of a side that one steps over from a seat
)

// doors are the machines that one sits in, and the room beside them through which one gets out: a door that
// opens, or legs that swing out.
var doors = map[string]float64{
	"utv": 0.40, "utv-four": 0.40, "tractor": 0.45, "tractor-loader": 0.45, "excavator": 0.45, "car-small": 0.55,
	"golf-cart": 0.30, "buggy": 0.30, "ride-on": 0.30, "zero-turn": 0.30,
}

// sticks asks for something slanted before what stands out beside the deck: wheels and mudguards.
func sticks(r *rig.Rig, a *plan.Access) (finding.Finding, bool) {
	f := base(r, CodeStick, "What stands out beside the deck", "bumpers")
	f.Gate = ""
	t := r.Trailer
	if t.DeckWidth == nil {
		return f, false
	}
	half := 0.0
	if t.Track != nil {
		half = float64(t.Track.Value)/2 + tyreWide(r)/2
		if a.GuardWide != nil {
			half = math.Max(half, float64(t.Track.Value)/2+float64(*a.GuardWide)/2)
		}
	}
	if w := t.WidthOverAll; w != nil {
		half = math.Max(half, float64(w.Value)/2)
	}
	out := half - r.DeckWidth()/2
	if !(out > standsOut) {
		return f, false
	}
	f.Figure = finding.Exactly(quantity.KindLength, out)
	if a.Bumpers {
		f.Says = said.Say(
			"Wheels and {mudguard}s stand out % on each side, with a slanted guard in front of and behind them.",
			said.Length(out),
		)
		return f, true
	}
	f.Outcome, f.Tight = finding.Tight, finding.LittleRoom
	f.Says = said.Say(
		"Wheels and {mudguard}s stand out % on each side: a gatepost can tear them off. Fit a slanted tube in front of and behind each, or keep your distance.",
		said.Length(out),
	)
	return f, true
}

// cabs asks how one gets out of a machine that one has driven on: over a low side, through the room beside it,
// or not at all.
func cabs(r *rig.Rig) (out []finding.Finding) {
	s := r.Trailer.SideHeight
	if s == nil || r.Trailer.DeckWidth == nil {
		return nil
	}
	half := r.DeckWidth() / 2
	for i := range r.Items {
		it := &r.Items[i]
		if it.Part || !it.OnDeck || it.Load == nil || it.Turn%180 != 0 {
			continue
		}
		want, sits := doors[it.Load.Kind]
		if !sits {
			continue
		}
		f := base(r, CodeCab, "Getting out of the seat", "")
		f.Stage, f.Gate, f.Subject = "ramps", "", it.Path
		name := said.Name(it.Name, "The machine")
		left, right := it.Left+half, half-it.Right
		most := math.Max(left, right)
		f.Figure, f.Limit = finding.Exactly(quantity.KindLength, most), finding.Exactly(quantity.KindLength, want)
		switch {
		case float64(*s) <= steppable:
			f.Figure, f.Limit = nil, nil
			f.Says = said.Say("From % you step out over the side, % high.", name, said.Length(*s))
		case most >= want:
			side := "left"
			if right > left {
				side = "right"
			}
			f.Says = said.Say(
				"Beside % are % on the "+side+": room to get out, if its door is on that side.",
				name,
				said.Length(most),
			)
		case left+right >= want:
			f.Outcome, f.Tight = finding.Tight, finding.LittleRoom
			f.Says = said.Say(
				"Between the sides you can hardly get out of %: % on the left and % on the right, but % is needed. Set it to one side if the balance allows, or fold a side down first.",
				name,
				said.Length(math.Max(0, left)),
				said.Length(math.Max(0, right)),
				said.Length(want),
			)
		default:
			f.Outcome, f.Tight = finding.Tight, finding.LittleRoom
			f.Says = said.Say(
				"Between the sides you cannot get out of %: % is needed beside it and there is only %. Fold a side down before you drive on, or pull it on with the winch.",
				name,
				said.Length(want),
				said.Length(math.Max(0, left+right)),
			)
		}
		out = append(out, f)
	}
	return out
}
