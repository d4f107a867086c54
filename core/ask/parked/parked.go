// Package parked answers how a trailer stands without its car: whether it tips on jockey wheel,
// legs or edge, by people or wind, and what its feet press into the ground. Formulas:
// docs/method/parked.md.
package parked

import (
	"math"

	"zygonos/core/facts/norms"
	"zygonos/core/lang/finding"
	"zygonos/core/lang/quantity"
	"zygonos/core/lang/said"
	"zygonos/core/plan"
	"zygonos/core/rig"
)

// Stage under which the findings stand.
const Stage = "road"

// Codes of the findings made here.
const (
	CodeTip   = "parked.tip"
	CodeFoot  = "parked.foot"
	CodeEdge  = "parked.edge"
	CodeWeeks = "parked.weeks"
)

// Figures of practice (confidence C).
const (
	reserve    = 1.5  // what holds over what tips
	nudge      = 30.0 // kg of a push by hand at the top, where no wind is stated
	drag       = 1.2
	air        = 1.25
	headOn     = 0.3  // of the wind on its side, from before or behind
	uneven     = 0.65 // of what two feet bear, on the busier one
	liftEasy   = 25.0 // kg a person
	relieve    = 0.8  // of a tyre's rating from which it is relieved when standing for weeks
	longStands = 3.0  // weeks
)

// Check judges how the trailer stands, where that is stated.
func Check(r *rig.Rig) []finding.Finding {
	out := edge(r)
	if r.Outing == nil || r.Outing.Parked == nil {
		return out
	}
	k := r.Outing.Parked
	tip, at := tips(r, k)
	out = append(out, tip)
	if k.Soil != "" && at != nil {
		out = append(out, foot(r, k, at))
	}
	if k.Weeks != nil && *k.Weeks >= longStands {
		out = append(out, weeks(r, k))
	}
	return out
}

func base(r *rig.Rig, code, title string) finding.Finding {
	return finding.Finding{
		Code: code, Stage: Stage, Scope: r.Scope, Subject: "/outings/" + r.Scope.Outing + "/parked", Title: said.Say(title),
		Outcome: finding.Holds, Source: norms.Practice("what holds 1.5 times what tips"),
	}
}

// whole is the trailer with who gets on: its mass, where its centre lies, how high.
type whole struct {
	mass float64
	at   Point
	ends [2]float64 // of at.X, as far as the guesses leave it possible
}

// gather adds up; at is nil where something is not known.
func gather(r *rig.Rig, k *plan.Parked) (w *whole, needs []finding.Need) {
	if r.Bears == nil || r.Axle == nil {
		return nil, r.Needs
	}
	tp := "/trailers/" + r.Scope.Trailer
	if r.Trailer.Track == nil {
		needs = append(needs, finding.Need{Path: tp + "/track", Says: said.Say("the track"),
			Where: said.Say("Tape from the middle of one {tyre} to the middle of the other.")})
	}
	if r.Trailer.DeckHeight == nil {
		needs = append(needs, finding.Need{Path: tp + "/deckHeight", Says: said.Say("the deck's height"),
			Where: said.Say("Tape from the ground to the deck.")})
	}
	if k.FrontAt == nil {
		needs = append(needs, finding.Need{Path: "/outings/" + r.Scope.Outing + "/parked/frontAt",
			Says: said.Say(
				"where the {jockey wheel} or the front legs stand",
			), Where: said.Say("Tape from the ball.")})
	}
	if len(needs) > 0 {
		return nil, needs
	}
	b, l := r.Bears, r.Axle.Nominal
	w = &whole{mass: b.Mass.Nominal, at: Point{X: l * (1 - b.Ball.Nominal/b.Mass.Nominal)}}
	if b.Left != nil {
		w.at.Y = (b.Right.Nominal - b.Left.Nominal) / b.Mass.Nominal * float64(r.Trailer.Track.Value) / 2
	}
	w.ends = [2]float64{l * (1 - b.Ball.High/b.Mass.Nominal), l * (1 - b.Ball.Low/b.Mass.Nominal)}
	if k.Extra != nil {
		w.with(float64(*k.Extra), standing(r, k, w))
	}
	return w, nil
}

// with adds who gets on at a place.
func (w *whole) with(m float64, at Point) {
	sum := w.mass + m
	mean := func(a, b float64) float64 { return (w.mass*a + m*b) / sum }
	w.at = Point{mean(w.at.X, at.X), mean(w.at.Y, at.Y)}
	w.ends = [2]float64{mean(w.ends[0], at.X), mean(w.ends[1], at.X)}
	w.mass = sum
}

// standing is where who gets on stands: as stated, else the deck's corner where it holds least.
func standing(r *rig.Rig, k *plan.Parked, w *whole) Point {
	front, rear := r.Deck()
	if k.Back != 0 || k.Right != 0 {
		return Point{front + float64(k.Back), float64(k.Right)}
	}
	half := r.DeckWidth() / 2
	var worst Point
	least := math.Inf(1)
	for _, at := range []Point{{front, -half}, {front, half}, {rear, -half}, {rear, half}} {
		o := *w
		o.with(float64(*k.Extra), at)
		for _, e := range Edges(feet(r, k), o.at) {
			if e.Room < least {
				least, worst = e.Room, at
			}
		}
	}
	return worst
}

// feet are the places where it stands: wheels, front support, rear legs.
func feet(r *rig.Rig, k *plan.Parked) []Point {
	half := float64(r.Trailer.Track.Value) / 2
	var out []Point
	for _, x := range r.AxlesAt() {
		out = append(out, Point{x, -half}, Point{x, half})
	}
	pair := func(x float64, apart *quantity.Length) {
		if apart != nil && *apart > 0 {
			y := float64(*apart) / 2
			out = append(out, Point{x, -y}, Point{x, y})
			return
		}
		out = append(out, Point{x, 0})
	}
	pair(float64(*k.FrontAt), k.FrontApart)
	if k.RearAt != nil {
		front, _ := r.Deck()
		pair(front+float64(*k.RearAt), k.RearApart)
	}
	return out
}

// sail is the side that the wind blows at: area, m², its middle's height and its top, m. The
// rectangle around all that stands on the deck, and the deck itself.
func sail(r *rig.Rig) (area, high, top float64) {
	front, rear := r.Deck()
	deck := r.DeckHeight()
	top = deck
	if s := r.Trailer.SideHeight; s != nil {
		top += float64(*s)
	}
	for i := range r.Items {
		it := &r.Items[i]
		front, rear, top = min(front, it.Front), max(rear, it.Rear), max(top, it.Top)
	}
	bottom := max(0, deck-0.15)
	return (rear - front) * (top - bottom), (top + bottom) / 2, top
}

// tips holds what keeps it on its feet against wind or a push, over every edge: m·room over
// F·h·(share of it that tips over that edge).
func tips(r *rig.Rig, k *plan.Parked) (finding.Finding, *whole) {
	f := base(r, CodeTip, "Standing alone")
	w, missing := gather(r, k)
	if w == nil {
		f.Outcome, f.Needs = finding.Unknown, missing
		f.Says = said.Say("Whether it stands without the car is not known.")
		return f, nil
	}
	edges := Edges(feet(r, k), w.at)
	area, middle, top := sail(r)
	push, high, along, why := nudge, top, 1.0, "a push of % at its top" // from any side
	if k.Wind != nil {
		v := float64(*k.Wind)
		push, high, along, why = air/2*v*v*drag*area/quantity.Gravity, middle, headOn, "wind of %"
	}
	holds := func(at Point) (least float64, over Edge) {
		least = math.Inf(1)
		for _, e := range Edges(feet(r, k), at) {
			turning := push * high * max(along, e.Across)
			if hold := w.mass * e.Room / turning; hold < least {
				least, over = hold, e
			}
		}
		return least, over
	}
	least, over := holds(w.at)
	worst := least // with the centre anywhere that the guesses leave possible
	for _, x := range w.ends {
		hold, _ := holds(Point{x, w.at.Y})
		worst = min(worst, hold)
	}
	side := "forward or back"
	if over.Across > 0.7 {
		side = "sideways"
	}
	switch {
	case len(edges) == 0:
		f.Outcome, f.Says = finding.Fails, said.Say("It stands on a line: put legs or the {jockey wheel} down.")
		return f, w
	case over.Room <= 0:
		f.Outcome = finding.Fails
		f.Says = said.Say(
			"It falls over on its own, "+side+": its weight is % beyond its feet. Put a leg there first.",
			said.Length(-over.Room),
		)
		return f, w
	}
	f.Figure, f.Limit = finding.Exactly(quantity.KindCount, least), finding.Exactly(quantity.KindCount, 1.0)
	margin := least - 1
	f.Margin = &margin
	f.Says = append(
		said.Say(
			"Standing alone it resists % times what would tip it "+side+": ",
			said.Of(quantity.KindCount, min(least, 99)),
		),
		said.Say(why+"; its weight has % of room.", said.Mass(push), said.Length(over.Room))...)
	switch {
	case least < 1:
		f.Outcome = finding.Fails
		f.Says = append(f.Says, said.Say(" Set the legs farther out, chock it, or tie it down.")...)
	case worst < 1:
		f.Outcome, f.Tight = finding.Tight, finding.GuessTooRough
		f.Says = append(f.Says, said.Say(" The guesses allow it to tip: weigh first, or put a leg there.")...)
	case least < reserve:
		f.Outcome, f.Tight = finding.Tight, finding.LittleRoom
		f.Says = append(f.Says, said.Say(" Legs farther out would help; let nobody stand on its edge.")...)
	}
	return f, w
}

// foot tells what the front support presses into the ground, and how large a board it takes:
// F = m·(L − x)/(L − x_f) with who gets on, its busier foot.
func foot(r *rig.Rig, k *plan.Parked, w *whole) finding.Finding {
	f := base(r, CodeFoot, "Foot on the ground")
	soil, _ := norms.SoilOf(k.Soil)
	l, at := r.Axle.Nominal, float64(*k.FrontAt)
	front := w.mass * (l - w.at.X) / (l - at)
	rear := 0.0
	if k.RearAt != nil && front < 0 { // it leans on the rear legs
		deck, _ := r.Deck()
		rear = w.mass * (w.at.X - l) / (deck + float64(*k.RearAt) - l)
	}
	load, apart := front, k.FrontApart
	if rear > front {
		load, apart = rear, k.RearApart
	}
	if apart != nil && *apart > 0 {
		load *= uneven
	}
	load = max(0, load)
	// The guesses may put more on it: the centre farther forward, or farther back on the rear legs.
	more := load
	if nominal := l - w.at.X; math.Abs(nominal) > 1e-9 {
		for _, x := range w.ends {
			more = max(more, load*(l-x)/nominal)
		}
	}
	board := math.Sqrt(load * quantity.Gravity / soil.Bears)
	if k.Foot == nil {
		f.Outcome = finding.Unknown
		f.Says = said.Say("A foot presses with %: on % it needs a board % square.",
			said.Mass(load), said.Piece{Text: soil.Name}, said.Length(math.Ceil(board*100)/100))
		f.Needs = []finding.Need{
			{
				Path:  f.Subject + "/foot",
				Says:  said.Say("the side of its foot or board"),
				Where: said.Say("Tape the plate, or the board."),
			},
		}
		return f
	}
	side := float64(*k.Foot)
	f.AtMost(quantity.KindStress, load*quantity.Gravity/(side*side), soil.Bears)
	if f.Outcome == finding.Holds && more*quantity.Gravity/(side*side) > soil.Bears {
		f.Outcome, f.Tight = finding.Tight, finding.GuessTooRough
	}
	f.Says = said.Say(
		"A foot presses with % on % of %",
		said.Mass(load),
		said.Length(side),
		said.Piece{Text: soil.Name},
	)
	if f.Outcome == finding.Fails {
		f.Says = append(
			f.Says,
			said.Say(": it sinks. Put a board % square under it.", said.Length(math.Ceil(board*100)/100))...)
	} else {
		f.Says = append(f.Says, said.Piece{Text: "."})
	}
	return f
}

// edge judges a trailer that is stored on its edge: what it takes to set it up, and what tips it
// there.
func edge(r *rig.Rig) []finding.Finding {
	t := r.Trailer
	if !t.OnEdge || t.Folded == nil || t.Folded.Width == nil || t.Folded.Height == nil {
		return nil
	}
	f := base(r, CodeEdge, "On its edge")
	f.Subject = "/trailers/" + r.Scope.Trailer + "/folded"
	empty := r.EmptyMass()
	if empty == nil {
		f.Outcome, f.Says = finding.Unknown, said.Say("Whether it stands on its edge is not known.")
		f.Needs = []finding.Need{
			{
				Path:  "/trailers/" + r.Scope.Trailer + "/empty/mass",
				Says:  said.Say("its empty weight"),
				Where: said.Say("Weigh it."),
			},
		}
		return []finding.Finding{f}
	}
	m := empty.High
	// Flat it is as wide as it is high on its edge; it stands on its thickness, or on its casters.
	wide, thick := float64(t.Folded.Width.Value), float64(t.Folded.Height.Value)
	stands := thick
	if t.EdgeBase != nil {
		stands = float64(*t.EdgeBase)
	}
	lift, push := m/2, m*(stands/2)/wide // at its far edge; at its top
	people := math.Ceil(lift / liftEasy)
	f.Figure, f.Limit = finding.Exactly(quantity.KindMass, push), finding.Exactly(quantity.KindMass, nudge/2)
	margin := (push - nudge/2) / math.Max(push, 1e-9)
	f.Margin = &margin
	f.Says = said.Say("Setting it on its edge takes % at the far side: %. There, % at the top tips it.",
		said.Mass(lift), said.Counted(int(people), "person", "people"), said.Mass(push))
	switch {
	case push < nudge/2:
		f.Outcome = finding.Fails
		f.Says = append(f.Says, said.Say(" Tie it to the wall, or set the casters farther apart.")...)
	case push < nudge:
		f.Outcome, f.Tight = finding.Tight, finding.LittleRoom
		f.Says = append(f.Says, said.Say(" Tie it to the wall, away from children.")...)
	}
	return []finding.Finding{f}
}

// weeks tells what standing loaded for long asks for.
func weeks(r *rig.Rig, k *plan.Parked) finding.Finding {
	f := base(r, CodeWeeks, "Loaded for weeks")
	kg, _, _ := r.TyreLimit()
	switch {
	case kg == nil || r.Bears == nil:
		f.Outcome = finding.Unknown
		f.Says = said.Say(
			"Loaded for % weeks: take the weight off its {tyre}s with stands, slacken the straps, let water run off the cover.",
			said.Of(quantity.KindCount, *k.Weeks),
		)
		f.Needs = []finding.Need{
			{
				Path:  "/trailers/" + r.Scope.Trailer + "/tyreRating",
				Says:  said.Say("what one {tyre} takes"),
				Where: said.Say("Read its wall."),
			},
		}
	case r.HeaviestWheel() > relieve**kg:
		f.Outcome, f.Tight = finding.Tight, finding.LittleRoom
		f.Figure, f.Limit = finding.Exactly(
			quantity.KindMass,
			r.HeaviestWheel(),
		), finding.Exactly(
			quantity.KindMass,
			*kg,
		)
		f.Says = said.Say(
			"Loaded for % weeks its {tyre}s carry % of %: put stands under the axle, slacken the straps, let water run off the cover.",
			said.Of(quantity.KindCount, *k.Weeks),
			said.Mass(r.HeaviestWheel()),
			said.Mass(*kg),
		)
	default:
		f.Figure, f.Limit = finding.Exactly(
			quantity.KindMass,
			r.HeaviestWheel(),
		), finding.Exactly(
			quantity.KindMass,
			*kg,
		)
		f.Says = said.Say(
			"Loaded for % weeks: pump the {tyre}s to full pressure, slacken the straps by half, and set the cover so that water runs off.",
			said.Of(quantity.KindCount, *k.Weeks),
		)
	}
	return f
}
