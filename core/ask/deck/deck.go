// Package deck answers whether a floor bears what presses on one place of it: wheels, feet, skates, a
// foot. Formulas: docs/method/deck.md.
package deck

import (
	"cmp"
	"math"
	"slices"
	"strings"

	"zygonos/core/facts/catalogue"
	"zygonos/core/facts/norms"
	"zygonos/core/lang/finding"
	"zygonos/core/lang/quantity"
	"zygonos/core/lang/said"
	"zygonos/core/plan"
	"zygonos/core/rig"
)

// Stage under which the findings stand.
const Stage = "trailer"

// Codes of the findings made here.
const (
	CodeBears = "deck.bears"
	CodeSags  = "deck.sags"
)

// Figures of practice (confidence C) but for the timber (B).
const (
	standing   = 100.0 // kg, one who stands
	sole       = 0.08  // m of a foot
	castor     = 0.04  // m of a small castor or skate
	tyrePrint  = 0.15  // m of a small pneumatic tyre
	smallWheel = 0.16  // m across, under which a wheel is a castor
	heavyWheel = 0.30  // of a machine's weight on one wheel
	moving     = 1.2   // times, as it rolls or is set down
	leans      = 0.40  // of a thing's weight on one of four places
	spread     = 0.5   // of the span that a sheet shares to each side together
	sagLimit   = 200.0 // of the span, under wheels
	boardUsual = 0.12  // m
	wet        = 0.7   // of what it bears dry
)

// floor is how a floor bears a strip of itself.
type floor struct {
	name  string
	yield float64 // Pa in bending
	e     float64 // Pa
	by    float64 // what it is divided by
	sheet bool    // shares a load sideways
}

// Plywood: softwood, 20 MPa and 6 GPa along the outer grain at their low ends (B); in the weather 0.7.
var (
	plywood = floor{"plywood", 20e6 * wet, 6e9 * wet, 2, true}
	timber  = [2]floor{
		{"boards C16", 16e6 * wet, 8e9 * wet, 2, false},
		{"boards C24", 24e6 * wet, 11e9 * wet, 2, false},
	}
	plate = floor{"steel plate", 200e6, 205e9, 1.5, true}
)

// press is one place that is pressed on.
type press struct {
	name  said.Piece
	path  string
	kg    span
	print float64 // m along the span, and across it
}

type span = quantity.Range[float64]

// Check judges a floor whose thickness is stated under the heaviest place of the outing, and under one who
// stands on it.
func Check(r *rig.Rig) []finding.Finding {
	return append(append(bears(r), laid(r)...), faces(r)...)
}

// bears judges the floor's thickness, where it is stated; of a floor of a known make on which something rolls it
// is asked.
func bears(r *rig.Rig) []finding.Finding {
	t, path := r.Trailer, "/trailers/"+r.Scope.Trailer
	if t.FloorThick == nil {
		all, open := presses(r)
		if _, known := floorOf(t); !known || len(all) < 2 && open == nil {
			return nil
		}
		f := base(r, CodeBears, "The floor under one place")
		f.Lacks("Whether the floor bears the wheels", finding.Need{
			Path: path + "/floorThick", Says: said.Say("the floor's thickness"), Where: said.Say("Look at an edge, or through a bolt hole."),
		})
		return []finding.Finding{f}
	}
	fl, ok := floorOf(t)
	f := base(r, CodeBears, "The floor under one place")
	if !ok {
		f.Outcome, f.Says = finding.Unknown, said.Say("What the floor is made of is not known.")
		f.Needs = []finding.Need{
			{
				Path:  path + "/floor",
				Says:  said.Say("what the floor is made of"),
				Where: said.Say("Plywood, boards or plate."),
			},
		}
		return []finding.Finding{f}
	}
	free, ok := freeSpan(r)
	if !ok {
		f.Outcome, f.Says = finding.Unknown, said.Say("How far the floor spans is not known.")
		f.Needs = []finding.Need{{
			Path: path + "/floorSpan", Says: said.Say("how far the floor spans"),
			Where: said.Say(
				"Tape between the cross members under it, face to face, where they are farthest apart.",
			),
		}}
		return []finding.Finding{f}
	}
	board := boardUsual
	if b := t.BoardWide; b != nil {
		board = float64(*b)
	}
	all, open := presses(r)
	var worst, softest *press
	most, sure, deepest := -1.0, -1.0, -1.0
	for i := range all {
		p := &all[i]
		if s := stress(&fl, float64(*t.FloorThick), free, board, p, p.kg.High); s > most {
			most, worst = s, p
		}
		sure = max(sure, stress(&fl, float64(*t.FloorThick), free, board, p, p.kg.Nominal))
		if g := give(&fl, float64(*t.FloorThick), free, board, p); g > deepest {
			deepest, softest = g, p
		}
	}
	allowed := fl.yield / fl.by
	f.Subject = path
	f.AtMost(quantity.KindStress, most, allowed)
	if f.Outcome == finding.Fails && sure <= allowed {
		f.Outcome, f.Tight = finding.Tight, finding.GuessTooRough
	}
	f.Says = said.Say("Under % (% on one spot) the floor is loaded to % of what "+fl.name+" takes over %.",
		worst.name, said.Mass(worst.kg.High), said.Share(math.Round(100*most/allowed)/100), said.Length(free))
	if f.Outcome == finding.Fails {
		f.Says = append(
			f.Says,
			said.Say(" Lay planks or a sheet under it, use thicker boards, or add a cross member.")...)
	}
	if len(open) > 0 && f.Outcome != finding.Fails { // something heavy of unknown weight rolls on it as well
		f.Outcome, f.Needs, f.Figure, f.Limit, f.Margin = finding.Unknown, open, nil, nil, nil
		f.Says = said.Say("The weight on one spot of the floor is not all known.")
		return []finding.Finding{f}
	}
	f.HasWork, f.Work = true, func() []finding.Step { return work(&f, &fl, t, free, board, worst, most) }
	return []finding.Finding{f, sags(r, free, softest, deepest)}
}

func base(r *rig.Rig, code, title string) finding.Finding {
	return finding.Finding{
		Code: code, Stage: Stage, Scope: r.Scope, Gate: finding.GateGo, Subject: "/trailers/" + r.Scope.Trailer + "/floorThick",
		Title: said.Say(
			title,
		), Outcome: finding.Holds, Source: norms.Practice("EN 1995-1-1: k_mod 0.7 in the weather, 1.3 on the timber, 1.5 on the load; plate over 1.5"),
	}
}

// floorOf is the floor that is stated; mesh and bare cross members bear no wheel between them.
func floorOf(t *plan.Trailer) (floor, bool) {
	switch t.Floor {
	case plan.FloorPly:
		return plywood, true
	case plan.FloorPlate:
		return plate, true
	case plan.FloorBoards:
		if t.FloorGrade == "c24" {
			return timber[1], true
		}
		return timber[0], true // the lower, where no grade is stated
	}
	return floor{}, false
}

// freeSpan is how far the floor spans, m: as taped, else the widest gap between drawn cross members.
func freeSpan(r *rig.Rig) (float64, bool) {
	if s := r.Trailer.FloorSpan; s != nil {
		return float64(*s), true
	}
	if r.Drawn == nil || !r.Drawn.Whole {
		return 0, false
	}
	var at [][2]float64 // faces of each cross member
	for i := range r.Drawn.Bars {
		b := &r.Drawn.Bars[i]
		if b.Member.Role == plan.RoleCross && math.Abs(b.Axes[0].Y) > 0.9 {
			x := b.Middle().X
			at = append(at, [2]float64{x - b.Wide/2, x + b.Wide/2})
		}
	}
	slices.SortFunc(at, func(a, b [2]float64) int { return cmp.Compare(a[0], b[0]) })
	widest := 0.0
	for i := 1; i < len(at); i++ {
		widest = math.Max(widest, at[i][0]-at[i-1][1])
	}
	return widest, widest > 0
}

// presses are the places that the outing's machines and heavy things press on, and one who stands there; and
// the weights that are missing.
func presses(r *rig.Rig) (out []press, open []finding.Need) {
	out = []press{{name: said.Piece{Text: "a person standing on it"}, kg: quantity.Exactly(standing), print: sole}}
	for i := range r.Items {
		it := &r.Items[i]
		if it.Part || !it.OnDeck {
			continue
		}
		p := press{name: said.Name(it.Name, "a load"), path: it.Path}
		kind, _ := catalogue.LoadOf(it.Load.Kind)
		share := 0.0
		switch {
		case it.Load.Rolling != nil || kind.Shape == "wheels":
			share, p.print = rolls(it.Load, kind)
		case r.Layout != nil && r.Layout.Shift != nil && r.Layout.Shift.Load == it.ID:
			share, p.print = leans*moving, castor
		default: // it lies on the floor with its whole underside
			continue
		}
		missing := false
		for _, n := range r.Needs { // of its own weight, or of what is in it
			if strings.HasPrefix(n.Path, it.Path+"/") {
				open, missing = append(open, n), true
			}
		}
		if missing {
			continue
		}
		if it.Mass == nil {
			open = append(open, finding.Need{
				Path: it.Path + "/mass", Says: said.Say("the weight of %", p.name),
				Where: said.Say("Weigh it, or look at its plate or papers."),
			})
			continue
		}
		if m := it.Mass.Nominal; m > 0 { // with what rides on it
			share *= math.Max(1, r.Moves(i).Mass/m)
		}
		p.kg = span{Nominal: it.Mass.Nominal * share, Low: it.Mass.Low * share, High: it.Mass.High * share}
		out = append(out, p)
	}
	return out, open
}

// rolls is the share of a machine's weight on its heaviest wheel as it rolls, and that wheel's print: on
// one track of two wheels, as a motorcycle, twice the share; on small hard wheels a castor's print.
func rolls(l *plan.Load, kind catalogue.LoadKind) (share, print float64) {
	share, print = heavyWheel*moving, tyrePrint
	track, told := 0.0, false
	if k := kind.Rolls; k != nil {
		track, told = float64(k.Track), true
	}
	w := l.Rolling
	if w == nil {
		w = &plan.Rolling{}
	}
	if w.Track != nil {
		track, told = float64(w.Track.Value), true
	}
	if told && track == 0 {
		share *= 2
	}
	wheels := []*quantity.Length{w.Wheel, w.FrontWheel}
	if k := kind.Rolls; k != nil && w.Wheel == nil && k.Wheel > 0 {
		wheels[0] = &k.Wheel
	}
	if k := kind.Rolls; k != nil && w.FrontWheel == nil && k.FrontWheel > 0 {
		wheels[1] = &k.FrontWheel
	}
	for _, d := range wheels {
		if d != nil && *d < smallWheel {
			print = castor
		}
	}
	return share, print
}

// strip is how wide a strip of the floor bears a place, m: a board alone, a sheet its print and half the
// span.
func strip(fl *floor, free, board float64, p *press) float64 {
	if fl.sheet {
		return p.print + spread*free
	}
	return math.Max(board, math.Min(2*board, p.print)) // what stands on two boards rests on both
}

// stress is M/W of the strip as a simple beam with the load spread over its print in the middle:
// M = F·(L/4 − c/8), W = b·t²/6.
func stress(fl *floor, thick, free, board float64, p *press, kg float64) float64 {
	c := math.Min(p.print, free)
	moment := kg * quantity.Gravity * (free/4 - c/8)
	return moment / (strip(fl, free, board, p) * thick * thick / 6)
}

// give is how far a floor goes down under a place, F·L³/48EI, m.
func give(fl *floor, thick, free, board float64, p *press) float64 {
	i := strip(fl, free, board, p) * thick * thick * thick / 12
	return p.kg.High * quantity.Gravity * free * free * free / (48 * fl.e * i)
}

// sags holds that against a 200th of the span.
func sags(r *rig.Rig, free float64, p *press, give float64) finding.Finding {
	f := base(r, CodeSags, "The floor's give")
	f.Gate, f.Source = "", norms.Practice("a 200th of the span under a wheel")
	f.AtMost(quantity.KindLength, give, free/sagLimit)
	if f.Outcome == finding.Fails { // it gives and does not break
		f.Outcome, f.Tight = finding.Tight, finding.LittleRoom
	}
	f.Says = said.Say(
		"Under % the floor sags %; the usual limit is %.",
		p.name,
		said.Length(give),
		said.Length(free/sagLimit),
	)
	return f
}

func work(
	f *finding.Finding,
	fl *floor,
	t *plan.Trailer,
	free, board float64,
	p *press,
	most float64,
) []finding.Step {
	return []finding.Step{{
		Symbol: "σ", Says: said.Say("in the floor under %", p.name), Formula: "σ = F·g·(L/4 − c/8)/(b·t²/6)",
		Result: finding.Exactly(quantity.KindStress, most), Source: f.Source,
		Terms: []finding.StepTerm{
			{
				Symbol:  "F",
				Says:    said.Say("on one place, at most"),
				Measure: finding.Exactly(quantity.KindMass, p.kg.High),
				How:     "computed",
				Path:    p.path,
			},
			{
				Symbol:  "L",
				Says:    said.Say("free span"),
				Measure: finding.Exactly(quantity.KindLength, free),
				How:     "stated",
			},
			{
				Symbol:  "c",
				Says:    said.Say("its print"),
				Measure: finding.Exactly(quantity.KindLength, p.print),
				How:     "typical",
			},
			{
				Symbol:  "b",
				Says:    said.Say("strip that bears it"),
				Measure: finding.Exactly(quantity.KindLength, strip(fl, free, board, p)),
				How:     "rule followed",
			},
			{
				Symbol:  "t",
				Says:    said.Say("thickness"),
				Measure: finding.Exactly(quantity.KindLength, float64(*t.FloorThick)),
				How:     "stated",
			},
		},
	}}
}
