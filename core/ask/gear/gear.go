// Package gear answers what running gear without a plate may bear, by the tape: axle tube,
// spindles, bearings, wheel bolts, springs; and what was seen when it was looked over. Formulas:
// docs/method/gear.md.
package gear

import (
	"math"
	"slices"

	"zygonos/core/facts/catalogue"
	"zygonos/core/facts/norms"
	"zygonos/core/lang/finding"
	"zygonos/core/lang/quantity"
	"zygonos/core/lang/said"
	"zygonos/core/parts"
	"zygonos/core/plan"
	"zygonos/core/rig"
	"zygonos/core/sums/section"
)

// Stage under which the findings stand.
const Stage = "trailer"

// Codes of the findings made here.
const (
	CodeBears = "gear.bears"
	CodeRust  = "gear.rust"
	CodeSeen  = "gear.seen"
)

// Figures of practice (confidence C), the cautious end first, then the usual one.
var (
	tubeYield  = [2]float64{200e6 / 1.5, 355e6} // Pa
	steelSpin  = 340e6 / 1.5                    // C45 normalised (EN 10083-2)
	leafStress = [2]float64{450e6, 700e6}       // in a leaf at rest
	lasts      = [2]float64{100e6, 20e6}        // m that a bearing runs
	hubShare   = 0.7                            // of what hubs of a pattern are rated at
)

const (
	sideForce    = 0.5  // g, at the tyre's foot in a bend
	innerBears   = 0.7  // of a wheel's load on its inner bearing
	bearingShock = 1.5  // on a bearing over its life
	usualRadius  = 0.28 // m, of a wheel
	wallTight    = 0.8  // of its strength left
	wallFails    = 0.6
	circleOff    = 0.0015 // m that a bolt circle is taped wrong
)

// Bound is what one piece lets an axle bear, kg: at least, and usually at most.
type Bound struct {
	What      string
	Low, High float64
	how       string
}

// Bounds lists what the tape says, each piece by itself; r is the wheel's radius, track between
// the wheels' middles (m; zero where not stated), k the shock of the road.
func Bounds(g *plan.Gear, track, r, k float64) []Bound {
	var out []Bound
	if t := g.Tube; t != nil && g.Seats != nil && track > float64(*g.Seats) {
		p := *t
		if g.WallLeft != nil && *g.WallLeft < p.Wall {
			p.Wall = *g.WallLeft
		}
		if s, err := section.Of(parts.SizeOf(p)); err == nil {
			// The wheels bend it at the springs: M = k·g·W/2·(track − seats)/2.
			per := k * quantity.Gravity / 2 * (track - float64(*g.Seats)) / 2
			out = append(
				out,
				Bound{"the axle's tube", tubeYield[0] * s.Wy / per, tubeYield[1] * s.Wy / per, "2·σ·W/(k·g·a)"},
			)
		}
	}
	if d := g.Spindle; d != nil {
		w := math.Pi * math.Pow(float64(*d), 3) / 32
		arm := 0.06
		if g.Arm != nil {
			arm = float64(*g.Arm)
		}
		// A bump bends it by k·c, a bend by c + 0.5·r.
		low := 2 * steelSpin * w / (quantity.Gravity * max(k*arm, arm+sideForce*r))
		high := 0.0
		for _, s := range catalogue.Spindles {
			if s.Diameter <= *d+0.0003 {
				high = float64(s.Axle)
			}
		}
		out = append(out, Bound{"its spindles", low, max(low, high), "2·σ·π·d³/32/(g·max(k·c, c + r/2))"})
	}
	if b, ok := catalogue.BearingOf(g.Bearing); ok {
		power := 10.0 / 3
		if b.Ball {
			power = 3
		}
		takes := func(metres float64) float64 {
			turns := metres / (2 * math.Pi * r) / 1e6
			return 2 * b.Rating / math.Pow(turns, 1/power) / (innerBears * bearingShock * quantity.Gravity)
		}
		out = append(out, Bound{"its bearings", takes(lasts[0]), takes(lasts[1]), "C/(n/10⁶)^(1/p)"})
	}
	if g.Studs > 0 && g.Circle != nil {
		for _, h := range catalogue.Hubs {
			if h.Studs == g.Studs && math.Abs(float64(h.Circle-*g.Circle)) <= circleOff {
				out = append(
					out,
					Bound{"its hubs", hubShare * float64(h.Axle), float64(h.Axle), "as hubs of this pattern"},
				)
				break
			}
		}
	}
	if g.Leaves > 0 && g.Leaf != nil && g.LeafWidth != nil && g.Eyes != nil {
		// A spring of n leaves, σ = 3·F·L/(2·n·b·t²), two to the axle.
		f := 2 * float64(
			g.Leaves,
		) * float64(
			*g.LeafWidth,
		) * float64(
			*g.Leaf,
		) * float64(
			*g.Leaf,
		) / (3 * float64(*g.Eyes))
		out = append(out, Bound{"its springs", 2 * leafStress[0] * f / quantity.Gravity,
			2 * leafStress[1] * f / quantity.Gravity, "2·σ·2·n·b·t²/(3·L·g)"})
	}
	return slices.DeleteFunc(out, func(b Bound) bool { return !quantity.Finite(b.Low) || !quantity.Finite(b.High) })
}

// Check judges what the tape says of the running gear, and what was seen.
func Check(r *rig.Rig) []finding.Finding {
	out := seen(r)
	g := r.Trailer.Gear
	if g == nil {
		return out
	}
	if f, ok := bears(r, g); ok {
		out = append(out, f)
	}
	if f, ok := rust(r, g); ok {
		out = append(out, f)
	}
	return out
}

func base(r *rig.Rig, code, title, at string) finding.Finding {
	return finding.Finding{
		Code: code, Stage: Stage, Scope: r.Scope, Gate: finding.GateBuy, Subject: "/trailers/" + r.Scope.Trailer + at,
		Title: said.Say(
			title,
		), Outcome: finding.Holds, Source: norms.Practice("a cautious limit from the tape; a plate overrides it"),
	}
}

// bears holds the heaviest axle against the weakest piece.
func bears(r *rig.Rig, g *plan.Gear) (f finding.Finding, ok bool) {
	radius, track := usualRadius, 0.0
	if d := r.Trailer.WheelDiameter; d != nil {
		radius = float64(*d) / 2
	}
	if t := r.Trailer.Track; t != nil {
		track = float64(t.Value)
	}
	all := Bounds(g, track, radius, r.Shock())
	f = base(r, CodeBears, "Running gear by the tape", "/gear")
	path := f.Subject
	if g.Tube != nil && track == 0 {
		f.Needs = append(
			f.Needs,
			finding.Need{Path: "/trailers/" + r.Scope.Trailer + "/track", Says: said.Say("the track"),
				Where: said.Say("Tape from the middle of one {tyre} to the middle of the other.")},
		)
	}
	if g.Tube != nil && g.Seats == nil {
		f.Needs = append(
			f.Needs,
			finding.Need{Path: path + "/seats", Says: said.Say("the distance between the springs"),
				Where: said.Say("Tape from the middle of one to the middle of the other.")},
		)
	}
	if len(all) == 0 || r.Bears == nil {
		f.Outcome, f.Says = finding.Unknown, said.Say("What the running gear can carry is not known yet.")
		if len(f.Needs) == 0 {
			f.Needs = []finding.Need{{Path: path + "/spindle", Says: said.Say("the spindle's diameter"),
				Where: said.Say("Calliper it at the inner bearing, the hub off.")}}
		}
		return f, len(all) > 0 || len(f.Needs) > 0
	}
	low, high := all[0], all[0]
	for _, b := range all[1:] {
		if b.Low < low.Low {
			low = b
		}
		if b.High < high.High {
			high = b
		}
	}
	load := r.Bears.OnAxle
	if r.Group != nil {
		load = r.Group.Heaviest()
	} else if n := float64(r.Trailer.AxleCount()); n > 1 {
		load = quantity.Range[float64]{Nominal: load.Nominal / n, Low: load.Low / n, High: load.High / n}
	}
	f.Figure, f.Limit = finding.Of(quantity.KindMass, load), finding.Exactly(quantity.KindMass, low.Low)
	margin := (low.Low - load.Nominal) / low.Low
	f.Margin = &margin
	weak := said.Piece{Text: low.What}
	switch {
	case load.Nominal > high.High*(1+1e-9):
		f.Outcome = finding.Fails
		f.Limit = finding.Exactly(quantity.KindMass, high.High)
		margin = (high.High - load.Nominal) / high.High
		f.Says = said.Say("An axle carries %; % of this size usually take % at most. Carry less, or fit another axle.",
			said.Mass(load.Nominal), said.Piece{Text: high.What}, said.Mass(high.High))
	case load.High > low.Low*(1+1e-9):
		f.Outcome, f.Tight = finding.Tight, finding.GuessTooRough
		f.Says = said.Say(
			"An axle carries %; by the tape % take at least % and usually up to %. Find the maker's plate or number.",
			said.Mass(load.Nominal),
			weak,
			said.Mass(low.Low),
			said.Mass(high.High),
		)
	case len(untaped(r, g, path)) > 0: // what nobody taped may be the weakest
		f.Outcome, f.Tight = finding.Tight, finding.GuessTooRough
		f.Needs = append(f.Needs, untaped(r, g, path)...)
		f.Says = said.Say("An axle carries %; the weakest part taped, %, takes at least %. Not taped: ",
			said.Mass(load.Nominal), weak, said.Mass(low.Low))
		f.Says = append(append(f.Says, finding.Takes(untaped(r, g, path))...), said.Piece{Text: "."})
	default:
		f.Says = said.Say(
			"An axle carries %; by the tape its weakest part, %, takes at least %. There is no plate, so cracks and rust matter more.",
			said.Mass(load.Nominal),
			weak,
			said.Mass(low.Low),
		)
	}
	f.HasWork, f.Work = true, func() []finding.Step {
		var out []finding.Step
		for _, b := range all {
			bound := quantity.Range[float64]{Nominal: b.Low, Low: b.Low, High: b.High}
			out = append(
				out,
				finding.Step{Symbol: "W", Says: said.Say("what % let an axle carry", said.Piece{Text: b.What}),
					Formula: "W = " + b.how, Result: finding.Of(quantity.KindMass, bound), Source: f.Source},
			)
		}
		return out
	}
	return f, true
}

// untaped are the pieces of which nothing is stated.
func untaped(r *rig.Rig, g *plan.Gear, path string) []finding.Need {
	var out []finding.Need
	add := func(missing bool, field, says, where string) {
		if missing {
			out = append(out, finding.Need{Path: path + "/" + field, Says: said.Say(says), Where: said.Say(where)})
		}
	}
	springs := r.Trailer.Suspension != plan.SpringsNone && r.Trailer.Suspension != plan.SpringsTorsion
	add(
		g.Tube == nil || g.Seats == nil,
		"seats",
		"the axle's tube and where its springs sit",
		"Tape the tube, and between the springs.",
	)
	add(g.Spindle == nil, "spindle", "the spindles", "Calliper one at the inner bearing, the hub off.")
	add(g.Bearing == "", "bearing", "the bearings", "The number is on their ring.")
	add(g.Studs == 0 || g.Circle == nil, "circle", "the hubs", "Tape the circle of the wheel bolts.")
	add(springs && (g.Leaves == 0 || g.Leaf == nil || g.LeafWidth == nil || g.Eyes == nil), "leaf", "the springs",
		"Count the leaves; tape one's thickness, width, and between the eyes.")
	return out
}

// rust tells how much of the axle's strength its thinnest wall leaves.
func rust(r *rig.Rig, g *plan.Gear) (f finding.Finding, ok bool) {
	if g.Tube == nil || g.WallLeft == nil || *g.WallLeft >= g.Tube.Wall {
		return f, false
	}
	f = base(r, CodeRust, "Rust on the axle", "/gear/wallLeft")
	worn := *g.Tube
	worn.Wall = *g.WallLeft
	was, err := section.Of(parts.SizeOf(*g.Tube))
	is, err2 := section.Of(parts.SizeOf(worn))
	if err != nil || err2 != nil {
		f.Outcome, f.Says = finding.Fails, said.Say(
			"Nothing is left of the wall, or the sizes make no sense. Do not load it.",
		)
		return f, true
	}
	left := is.Wy / was.Wy
	f.Figure, f.Limit = finding.Exactly(quantity.KindShare, left), finding.Exactly(quantity.KindShare, wallFails)
	f.Says = said.Say("% of % is left of the wall: in bending it has % of its strength.",
		said.Length(*g.WallLeft), said.Length(g.Tube.Wall), said.Share(left))
	switch {
	case left < wallFails:
		f.Outcome = finding.Fails
		f.Says = append(f.Says, said.Say(" Replace the axle.")...)
	case left < wallTight:
		f.Outcome, f.Tight = finding.Tight, finding.LittleRoom
		f.Says = append(f.Says, said.Say(" Brush it, measure all round, paint it, and look again each year.")...)
	}
	return f, true
}

// seen tells what was found worn or bad when it was looked over.
func seen(r *rig.Rig) []finding.Finding {
	d := r.Trailer.Deal
	own := r.Plan.Chosen == r.Scope.Trailer || len(r.Plan.Trailers) == 1
	if d == nil || !own { // of another one it is a matter of buying
		return nil
	}
	var out []finding.Finding
	for _, i := range catalogue.Inspections {
		at := "/deal/inspected/" + i.ID
		switch d.Inspected[i.ID] {
		case plan.SeenBad:
			f := base(r, CodeSeen, "Looked over", at)
			f.Gate, f.Outcome, f.Says = finding.GateGo, finding.Fails, said.Say(
				i.Bad+" Do not load it before that is mended.",
			)
			out = append(out, f)
		case plan.SeenWorn:
			f := base(r, CodeSeen, "Looked over", at)
			f.Outcome, f.Tight, f.Says = finding.Tight, finding.LittleRoom, said.Say(
				"Worn: "+i.Look+" It takes: "+i.Repair+".",
			)
			out = append(out, f)
		}
	}
	return out
}
