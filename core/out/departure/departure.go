// Package departure makes the card for the last look before the road: where things
// stand, how they are tied, what to read and to do in order, and what may not be open
// before one goes. It says what other questions found; it judges nothing itself.
package departure

import (
	"context"
	"fmt"
	"math"
	"slices"

	"zygonos/core/ask/lashing"
	"zygonos/core/ask/parked"
	"zygonos/core/ask/stance"
	"zygonos/core/ask/towing"
	"zygonos/core/lang/finding"
	"zygonos/core/lang/quantity"
	"zygonos/core/lang/said"
	"zygonos/core/plan"
	"zygonos/core/review"
	"zygonos/core/rig"
	"zygonos/core/study"
)

// Card is the departure card of one outing on one trailer.
type Card struct {
	Gate     []finding.Finding `json:"gate"` // what fails or is not known and must not be before leaving
	Sections []Section         `json:"sections"`
	Unknown  []said.Sentence   `json:"unknown"` // what was not known
	Most     *finding.Measure  `json:"most,omitempty"`
	Because  said.Sentence     `json:"because"` // of the speed
}

// Section is a heading with what to tick under it.
type Section struct {
	Name  string         `json:"name"`
	Ticks []finding.Tick `json:"ticks"`
}

// firstStop is how far to drive before the first look, m (practice, C).
const firstStop = 10_000.0

// bathroomScale is what a bathroom scale reads at most, kg (practice, C).
const bathroomScale = 130.0

// plank is how long the one is that shares a ball load with a block, m.
const plank = 2.0

// Of makes the card from a rig, its findings, the ball load that is aimed at, and the
// speed (m/s) from which its snaking dies down too slowly at the guesses' worst.
func Of(r *rig.Rig, fs []finding.Finding, low, high, calm *float64) *Card {
	if r.Layout == nil || r.Outing == nil {
		return nil
	}
	c := &Card{Gate: []finding.Finding{}, Sections: []Section{}, Unknown: []said.Sentence{}}
	for i := range fs {
		f := &fs[i]
		if f.Compares {
			continue
		}
		// A must that fails is a matter of buying; whatever else fails stands against leaving.
		// How it stands without the car is no reason not to leave.
		fails := f.Outcome == finding.Fails && (f.Stage != "job" || f.Gate == finding.GateGo) && f.Stage != parked.Stage
		// What the app placed is to be confirmed, and what found no room to be placed.
		asked := f.Essential || f.Stage == lashing.Stage || f.Code == review.CodePlaced
		if fails || f.Outcome == finding.Unknown && asked {
			c.Gate = append(c.Gate, *f)
		}
		if f.Outcome == finding.Unknown {
			c.Unknown = append(c.Unknown, f.Title)
		}
	}
	if len(r.Usual) > 0 { // the places below follow from them
		c.add(
			"Tape first",
			[]finding.Tick{{ID: "tape", Says: slices.Concat(said.Say("Not taped yet: "), finding.Takes(r.Usual),
				said.Say(". Until then positions and loads below are rough."))}},
		)
	}
	asked := map[string][]finding.Tick{}
	for i := range review.Questions {
		if q := &review.Questions[i]; q.Ticks != nil {
			for _, t := range q.Ticks(r) {
				asked[t.Under] = append(asked[t.Under], t)
			}
		}
	}
	for _, part := range []struct {
		name string
		own  []finding.Tick
	}{
		{finding.UnderLoading, nil},
		{finding.UnderPlaces, places(r)},
		{finding.UnderTied, nil},
		{finding.UnderRead, readings(r, fs, low, high)},
		{finding.UnderWalk, walk(r)},
		{finding.UnderLoose, loose(r)},
		{finding.UnderWay, onTheWay()},
	} {
		c.add(part.name, append(part.own, asked[part.name]...))
	}
	c.Most, c.Because = most(r, calm)
	return c
}

func (c *Card) add(name string, ticks []finding.Tick) {
	ticks = slices.DeleteFunc(ticks, func(t finding.Tick) bool { return !t.Says.Finite() })
	if len(ticks) > 0 {
		c.Sections = append(c.Sections, Section{name, ticks})
	}
}

// places tells each thing by a distance that one tapes from the headboard.
func places(r *rig.Rig) []finding.Tick {
	front, _ := r.Deck()
	var out []finding.Tick
	for i := range r.Items {
		it := &r.Items[i]
		name := said.Name(it.Name, "a thing")
		d := it.Front - front
		says := said.Say("%: front % behind the {headboard}", name, said.Length(d))
		switch {
		case math.Abs(d) < 0.005:
			says = said.Say("%: front against the {headboard}", name)
		case d < 0:
			says = said.Say("%: front % before the {headboard}", name, said.Length(-d))
		}
		if mid := (it.Left + it.Right) / 2; math.Abs(mid) > 0.005 {
			side := "right"
			if mid < 0 {
				side = "left"
			}
			says = append(says, said.Say(", middle % to the "+side, said.Length(math.Abs(mid)))...)
		}
		says = append(says, r.Turned(it)...)
		out = append(out, finding.Tick{ID: "place-" + it.ID, Says: append(says, said.Piece{Text: "."})})
	}
	if a := r.Layout.AxleAt; a != nil {
		out = append(
			out,
			finding.Tick{
				ID:   "axle",
				Says: said.Say("Axle bolted at % from the {coupling}, nuts to torque.", said.Length(*a)),
			},
		)
	}
	return out
}

// readings are what a scale and a gauge should show.
func readings(r *rig.Rig, fs []finding.Finding, low, high *float64) []finding.Tick {
	var out []finding.Tick
	if b := r.Bears; b != nil {
		says := said.Say(
			"{Ball load}: a scale under the {coupling}, trailer level, should show about %",
			said.Mass(b.Ball.Nominal),
		)
		if low != nil && high != nil && *high > *low {
			says = append(says, said.Say(" (% to % is right)", said.Mass(*low), said.Mass(*high))...)
		}
		if n := math.Ceil(b.Ball.High / bathroomScale); n > 1 {
			// A plank from a block to the scale, the ball the n-th part of it from the block: the
			// scale bears 1/n.
			says = append(
				says,
				said.Say(
					". Over a bathroom scale's %: a plank, % from block to scale, the {coupling} % from the block: it shows %, the plank tared",
					said.Mass(bathroomScale),
					said.Length(plank),
					said.Length(plank/n),
					said.Mass(b.Ball.Nominal/n),
				)...)
		}
		out = append(out, finding.Tick{ID: "ball", Says: append(says, said.Piece{Text: "."})})
	}
	asks := slices.IndexFunc(
		fs,
		func(f finding.Finding) bool { return f.Code == stance.CodePressure && f.Figure != nil },
	)
	if p := r.Trailer.TyrePressure; p != nil && asks >= 0 {
		out = append(
			out,
			finding.Tick{
				ID: "pressure",
				Says: said.Say(
					"{Tyre}s cold at % or more for this load, at most the wall's %; car's too, by its door post.",
					said.Of(quantity.KindPressure, fs[asks].Figure.Value),
					said.Of(quantity.KindPressure, *p),
				),
			},
		)
	} else if p != nil {
		out = append(out, finding.Tick{ID: "pressure", Says: said.Say("{Tyre}s cold: the wall's % at most; car's too, by its door post.", said.Of(quantity.KindPressure, *p))})
	} else {
		out = append(out, finding.Tick{ID: "pressure", Says: said.Say("{Tyre}s cold at the pressure for this load, by their wall; the car's too.")})
	}
	if s := r.Trailer.CouplingSize; s != nil {
		out = append(
			out,
			finding.Tick{ID: "ball-size", Says: said.Say("Ball of %, as the {coupling} says.", said.Length(*s))},
		)
	}
	if h := r.Trailer.CouplingHeight; h != nil {
		sink, known := stance.Sink(r)
		says := said.Say("Level when hitched: the {coupling} near % up, as loaded.", said.Length(float64(*h)-sink))
		if !known {
			says = said.Say(
				"Level when hitched: the {coupling} near % up, less what the springs sink.",
				said.Length(*h),
			)
		}
		out = append(out, finding.Tick{ID: "level", Says: says})
	}
	return out
}

// walk is the round, in order.
func walk(r *rig.Rig) []finding.Tick {
	t := r.Trailer
	out := []finding.Tick{
		{ID: "latch", Says: said.Say("{Coupling} latched and pinned; lift the {drawbar} by hand to try it.")},
	}
	if t.Chains != nil && *t.Chains > 0 {
		out = append(
			out,
			finding.Tick{ID: "chains", Says: said.Say("Chains crossed under it, short of the ground.")},
		)
	}
	if t.Breakaway != nil && *t.Breakaway {
		out = append(
			out,
			finding.Tick{ID: "breakaway", Says: said.Say("Breakaway cable to the car, not round the ball.")},
		)
	}
	out = append(
		out,
		finding.Tick{ID: "jack", Says: said.Say("{Jockey wheel} up and locked; chocks away.")},
		finding.Tick{
			ID:   "lamps",
			Says: said.Say("Plug in; tail, brake, left, right, fog; {number plate} in sight."),
		},
		finding.Tick{ID: "nuts", Says: said.Say("Wheel nuts to torque if a wheel has been off.")},
		finding.Tick{ID: "tyres", Says: said.Say("{Tyre}s: cuts, bulges, age; hubs cool and quiet.")},
	)
	if l := r.Layout.Loading; l != nil {
		out = append(
			out,
			finding.Tick{
				ID:   "ramps",
				Says: said.Say("Ramps and props stowed and pinned; machine's brake on, in gear."),
			},
		)
	}
	_, tail := r.Deck()
	for i := range r.Items {
		if it := &r.Items[i]; !it.Open && it.Rear > tail+0.9 {
			out = append(
				out,
				finding.Tick{
					ID: "flag",
					Says: said.Say(
						"Flag or board at the end of %, lamp by night.",
						said.Name(it.Name, "what sticks out"),
					),
				},
			)
			break
		}
	}
	for i := range r.Items {
		if r.Items[i].Shape == "heap" {
			out = append(out, finding.Tick{ID: "cover", Says: said.Say("Net or tarpaulin over the load, tied.")})
			break
		}
	}
	return append(
		out,
		finding.Tick{ID: "locks", Says: said.Say("Tailgate and sides latched; {coupling} lock with you.")},
	)
}

// loose is what lifts off and is not tied: pins, seats, motors, batteries, ramps.
func loose(r *rig.Rig) []finding.Tick {
	var out []finding.Tick
	for i := range r.Items {
		it := &r.Items[i]
		name := said.Name(it.Name, "a thing")
		if it.Part {
			if u := r.Plan.Parts[it.ID].Undo; u != "" && u != "welded" {
				out = append(
					out,
					finding.Tick{
						ID:   "part-" + it.ID,
						Says: said.Say("%: % in and secured.", name, said.Piece{Text: u}),
					},
				)
			} else if u == "" {
				out = append(out, finding.Tick{ID: "part-" + it.ID, Says: said.Say("%: held so that nothing can lift off.", name)})
			}
			continue
		}
		if it.Load == nil || it.Shape != "hull" && it.Shape != "wheels" { // a chest keeps what is in it
			continue
		}
		for _, id := range plan.Ordered(it.Load.Contents, func(x plan.Content) int { return x.Order }) {
			out = append(
				out,
				finding.Tick{
					ID: fmt.Sprintf("in-%s-%s", it.ID, id),
					Says: said.Say(
						"% in %: tied, or with you in the car.",
						said.Name(it.Load.Contents[id].Name, "a thing"),
						name,
					),
				},
			)
		}
	}
	return out
}

func onTheWay() []finding.Tick {
	km := func(m float64) said.Piece { return said.Of(quantity.KindDistance, m) }
	return []finding.Tick{
		{
			ID: "first-stop",
			Says: said.Say(
				"After % to % stop: check straps, feel the hubs for heat, check wheel nuts.",
				km(firstStop),
				km(2*firstStop),
			),
		},
		{
			ID: "wheel-change",
			Says: said.Say(
				"Spare reachable with the load on, jack and brace that fit; where the jack goes under the axle.",
			),
		},
	}
}

// speedStep is how finely a speed from a sum is stated, m/s: 5 km/h.
const speedStep = 5 / 3.6

// most is the speed not to go over: the least of tyres, rule, sway and owner.
func most(r *rig.Rig, calm *float64) (*finding.Measure, said.Sentence) {
	least, why := math.Inf(1), ""
	take := func(v float64, because string) {
		if v > 0 && v < least {
			least, why = v, because
		}
	}
	if v, ok := towing.TyreSpeed(r); ok {
		take(float64(v), "the trailer's {tyre}s")
	}
	if v := towing.RoadSpeed(r); v != nil {
		take(float64(*v), "the rule for trailers")
	}
	if calm != nil {
		take(math.Floor(*calm/speedStep+1e-9)*speedStep, "above it snaking dies down slowly")
	}
	if v := r.Outing.Speed; v != nil {
		take(float64(*v), "the outing's own")
	}
	if math.IsInf(least, 1) {
		return nil, said.Say("no limit is known: the rule and the {tyre}s' wall say it")
	}
	return finding.Exactly(quantity.KindSpeed, least), said.Say(why)
}

// Settled is a settled report with its card.
type Settled struct {
	*review.Report
	Card *Card `json:"card,omitempty"`
}

// Settle reviews a plan at rest and makes the card of the outing that it judged.
func Settle(ctx context.Context, p *plan.Plan, q review.Request) *Settled {
	out := &Settled{Report: study.Settled(ctx, p, q)}
	r := rig.Resolve(p, out.Scope.Trailer, out.Scope.Outing)
	if r == nil {
		return out
	}
	var low, high, calm *float64
	if w := out.Figures.Window; w != nil {
		low, high = &w.Low, &w.High
	}
	if s := out.Sway; s != nil && s.Little != nil {
		calm = s.Little.Low
	}
	out.Card = Of(r, out.Findings, low, high, calm)
	return out
}
