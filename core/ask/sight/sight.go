// Package sight answers what the driver sees past load and box, and of a low trailer; and whether
// lamps and plate at the tail are seen. Formulas: docs/method/sight.md.
package sight

import (
	"math"

	"zygonos/core/facts/norms"
	"zygonos/core/lang/finding"
	"zygonos/core/lang/quantity"
	"zygonos/core/lang/said"
	"zygonos/core/rig"
)

// Stage under which the findings stand.
const Stage = "vehicle"

// Codes of the findings made here.
const (
	CodeMirror = "sight.mirror"
	CodeLow    = "sight.low"
	CodeTail   = "sight.tail"
)

// What is usual of a car, m (practice, C): the mirror's outer edge with its range; the driver's eye
// before the ball and above the ground; the rear window's lower edge, and how far before the ball it
// lies.
var usualMirror = [3]float64{1.0, 0.92, 1.10}

const (
	usualEyeAhead = 2.8
	usualEyeUp    = 1.25
	usualSill     = 1.0
	sillAhead     = 0.35
	over          = 0.1  // that a pole stands over the line of sight
	edge          = 0.02 // that a mirror's edge stands out over the load's
	besideDeck    = 0.28 // of wheels and mudguards, where no width is stated
	lampsBelow    = 0.1  // under the deck
	lampsLow      = 0.35 // above the ground
)

// Line is the height at which a driver just sees above the window's lower edge at x behind the ball,
// m: from the eye (e before the ball, h high) over the edge (d before it, s high),
// z = s − (h − s)·(x + d)/(e − d).
func Line(eyeAhead, eyeUp, sillUp, sillAhead, x float64) float64 {
	return sillUp - (eyeUp-sillUp)*(x+sillAhead)/(eyeAhead-sillAhead)
}

// Check judges what is seen.
func Check(r *rig.Rig) []finding.Finding {
	if r.Vehicle == nil || r.Layout == nil {
		return nil
	}
	out := []finding.Finding{mirror(r)}
	if f, ok := low(r); ok {
		out = append(out, f)
	}
	return append(out, tail(r)...)
}

func base(r *rig.Rig, code, title, at string) finding.Finding {
	return finding.Finding{
		Code: code, Stage: Stage, Scope: r.Scope, Gate: finding.GateGo, Subject: at, Title: said.Say(title), Outcome: finding.Holds,
		Source: norms.Practice("mirrors see along the widest side (field of view after UNECE R46)"),
	}
}

// mirror holds the widest of trailer and load against the mirrors' outer edges.
func mirror(r *rig.Rig) finding.Finding {
	path := "/towVehicles/" + r.VehicleID
	f := base(r, CodeMirror, "Mirrors past the load", path)
	half, what := r.DeckWidth()/2, said.Piece{Text: "the deck"}
	if t := r.Trailer.Track; t != nil && float64(t.Value)/2+0.08 > half {
		half, what = float64(t.Value)/2+0.08, said.Piece{Text: "the wheels"}
	}
	if w := r.Trailer.WidthOverAll; w != nil && float64(w.Value)/2 > half {
		half, what = float64(w.Value)/2, said.Piece{Text: "the trailer"}
	}
	// Where neither is stated, wheels may stand beside the deck.
	wheels := 0.0
	if r.Trailer.Track == nil && r.Trailer.WidthOverAll == nil {
		wheels = r.DeckWidth()/2 + besideDeck
	}
	for i := range r.Items {
		it := &r.Items[i]
		if y := max(math.Abs(it.Left), math.Abs(it.Right)); y > half {
			half, what = y, said.Name(it.Name, "the load")
		}
	}
	out := quantity.Range[float64]{Nominal: usualMirror[0], Low: usualMirror[1], High: usualMirror[2]}
	told := r.Vehicle.MirrorOut != nil
	if told {
		out = quantity.Exactly(float64(*r.Vehicle.MirrorOut))
	}
	takes := half + edge
	f.Figure, f.Limit = finding.Exactly(
		quantity.KindLength,
		half,
	), finding.Exactly(
		quantity.KindLength,
		out.Nominal,
	)
	margin := (out.Nominal - takes) / out.Nominal
	f.Margin = &margin
	f.Says = said.Say(
		"The widest point is %, % from the middle; the mirrors reach to %",
		what,
		said.Length(half),
		said.Length(out.Nominal),
	)
	if !told {
		f.Says = append(f.Says, said.Say(", as usual")...)
	}
	f.Says = append(f.Says, said.Piece{Text: "."})
	switch {
	case takes > out.High:
		f.Outcome = finding.Fails
		f.Says = append(f.Says, said.Say(" You see nothing beside it: fit extension mirrors on both sides.")...)
	case takes <= out.Low && wheels+edge > out.Low:
		f.Outcome, f.Tight = finding.Tight, finding.GuessTooRough
		f.Says = append(f.Says, said.Say(" Wheels beside the deck may stand farther out: tape them.")...)
		f.Needs = []finding.Need{
			{Path: "/trailers/" + r.Scope.Trailer + "/widthOverAll", Says: said.Say("the width over all"),
				Where: said.Say("Tape over wheels and {mudguard}s.")},
		}
	case takes > out.Low && !told:
		f.Outcome, f.Tight = finding.Tight, finding.GuessTooRough
		f.Says = append(f.Says, said.Say(" Tape the mirrors, and the extension mirrors if you use them.")...)
		f.Needs = []finding.Need{
			{Path: path + "/mirrorOut", Says: said.Say("how far a mirror reaches from the car's middle"),
				Where: said.Say("Half of the width over both mirrors, in its papers or by tape.")},
		}
	}
	return f
}

// eye is where the driver looks from, and over what.
func eye(r *rig.Rig) (ahead, up, sill float64) {
	ahead, up, sill = usualEyeAhead, usualEyeUp, usualSill
	if v := r.Vehicle.EyeAhead; v != nil {
		ahead = float64(*v)
	}
	if v := r.Vehicle.EyeUp; v != nil {
		up = float64(*v)
	}
	if v := r.Vehicle.SillUp; v != nil {
		sill = float64(*v)
	}
	return ahead, up, sill
}

// low tells whether the empty trailer vanishes under the rear window, and how high a pole at its tail
// shows it. It compares: nothing of the road hangs on it.
func low(r *rig.Rig) (f finding.Finding, ok bool) {
	if r.Trailer.DeckHeight == nil || r.DeckFront == nil || r.Trailer.DeckLength == nil {
		return f, false
	}
	f = base(r, CodeLow, "Seen when empty", "/trailers/"+r.Scope.Trailer)
	f.Compares = true
	top := r.DeckHeight()
	if s := r.Trailer.SideHeight; s != nil {
		top += float64(*s)
	}
	for i := range r.Items { // what is fitted for good shows it
		if it := &r.Items[i]; it.Part && r.Trailer.Fitted != nil {
			if _, fitted := r.Trailer.Fitted[it.ID]; fitted {
				top = max(top, it.Top)
			}
		}
	}
	ahead, up, sill := eye(r)
	if ahead <= sillAhead || up <= sill {
		return f, false // the eye does not look over it
	}
	_, rear := r.Deck()
	line := max(0, Line(ahead, up, sill, sillAhead, rear))
	f.Figure, f.Limit = finding.Exactly(quantity.KindLength, top), finding.Exactly(quantity.KindLength, line)
	if top >= line {
		f.Says = said.Say("Empty, its tail shows over the rear window's edge.")
		return f, true
	}
	f.Outcome, f.Tight = finding.Tight, finding.LittleRoom
	f.Says = said.Say(
		"Empty, it disappears behind the car: its tail is seen from % up. Poles of % on its rear corners show it.",
		said.Length(line),
		said.Length(math.Ceil((line+over-r.DeckHeight())*20)/20),
	)
	return f, true
}

// tail finds what stands behind the tail so low and wide that it hides lamps or plate there.
func tail(r *rig.Rig) []finding.Finding {
	_, rear := r.Deck()
	lamps := max(lampsLow, r.DeckHeight()-lampsBelow)
	var out []finding.Finding
	for i := range r.Items {
		it := &r.Items[i]
		if it.Rear <= rear+edge || it.Front < rear-0.3 && !it.Part || it.Bottom > lamps || it.Top < lamps ||
			it.Right-it.Left < 0.3 {
			continue
		}
		f := base(r, CodeTail, "Lamps and plate at the tail", it.Path)
		f.Outcome, f.Tight = finding.Tight, finding.LittleRoom
		f.Says = said.Say(
			"% hangs % behind the tail, as low as the lamps: look from [10 m] behind; move lamps and {number plate} onto it if it hides them.",
			said.Name(it.Name, "A part"),
			said.Length(it.Rear-rear),
		)
		out = append(out, f)
	}
	return out
}
