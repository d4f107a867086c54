package study

import (
	"math"
	"strings"

	"zygonos/core/ask/clearance"
	"zygonos/core/ask/ramp"
	"zygonos/core/ask/sway"
	"zygonos/core/lang/finding"
	"zygonos/core/lang/quantity"
	"zygonos/core/lang/said"
	"zygonos/core/plan"
	"zygonos/core/review"
	"zygonos/core/rig"
)

// RampPlaces are the places where an outing's ramps may travel, each judged.
type RampPlaces struct {
	Lacks
	Options []RampPlace   `json:"options"`
	Says    said.Sentence `json:"says"`
}

// RampPlace is one of them.
type RampPlace struct {
	finding.Variant
	Kind    string          `json:"kind"` // upright, drawbar, under, deck
	Outcome finding.Outcome `json:"outcome"`
	Says    said.Sentence   `json:"says"`
	Figures []Traded        `json:"figures"`
}

// Sizes of stowed ramps where they are not stated, m (practice, C).
const (
	rampThick = 0.12
	rampWide  = 0.3
	underDeck = 0.14 // of what hangs under the deck, with its frame
)

// PlaceRamps compares where the ramps travel: upright at the tail, flat on the drawbar,
// under the deck, flat on the deck. The part's size turns with it.
func PlaceRamps(p *plan.Plan, q review.Request) *RampPlaces {
	review.Ready(p)
	out := &RampPlaces{Options: []RampPlace{}}
	before := review.Review(p, q)
	q = review.Request{Outing: before.Scope.Outing, Trailer: before.Scope.Trailer}
	r := rig.Resolve(p, q.Trailer, q.Outing)
	id := ""
	if r != nil && r.Layout != nil && r.Layout.Loading != nil {
		id = r.Layout.Loading.Ramp
	}
	part, ok := p.Parts[id]
	if r == nil {
		out.Says = said.Say("No outing yet: ramps belong to one.")
		return out
	}
	if !ok || part.Ramp == nil {
		out.Says = said.Say("No ramps in this outing yet: add them, or say which ones it takes.")
		return out
	}
	for _, n := range deckLacks(r).Needs { // where the axle stands is nothing to it
		if !strings.HasSuffix(n.Path, "/couplingToAxle") {
			out.Needs = append(out.Needs, n)
		}
	}
	out.Rough = r.Usual
	if part.Ramp.Length <= 0 {
		out.Needs = append(
			out.Needs,
			finding.Need{
				Path:  "/parts/" + id + "/ramp/length",
				Says:  said.Say("the length of the ramps"),
				Where: said.Say("Tape one from end to end."),
			},
		)
	}
	if len(out.Needs) > 0 {
		out.Says = out.sum()
		return out
	}
	defer func() { out.Says = out.roughly(out.Says) }()
	long, wide := float64(part.Ramp.Length), float64(part.Ramp.Width)
	if wide <= 0 {
		wide = rampWide
	}
	if part.Ramp.Kind == "" || part.Ramp.Kind == plan.RampPair {
		wide *= 2
	}
	deck := r.DeckLength()
	was := outline(r, before)
	for _, way := range []struct {
		kind, name, says string
		l, w, h          float64
		at               plan.Spot
		fits             bool
	}{
		{"upright", "Ramps upright at the tail", "Quick to drop; they catch the wind and hide what follows.", rampThick, wide, long, plan.Spot{Back: quantity.Length(deck)}, true},
		{"drawbar", "Ramps flat on the {drawbar}", "In the way of {coupling}, {jockey wheel} and tailgate.", long, wide, rampThick, plan.Spot{Back: quantity.Length(-long)}, r.DeckFront.Nominal > long+0.25},
		{"under", "Ramps under the deck", "Out of the way; brackets, mud, and less air under the tail.", long, wide, rampThick, plan.Spot{Back: quantity.Length(max(0, deck-long)), Up: -underDeck - rampThick}, long <= deck},
		{"deck", "Ramps flat on the deck", "Between the machine's wheels; tie them down too.", long, wide, rampThick, plan.Spot{Back: quantity.Length(max(0, round10(deck-long)))}, true},
	} {
		if !way.fits {
			continue
		}
		size := func(v float64) *plan.LengthEstimate {
			return &plan.LengthEstimate{Value: quantity.Length(v), How: plan.Weighed}
		}
		place := finding.Op{Op: "add", Path: r.LayoutPath("/parts/" + id), Value: plan.PartOn{At: way.at}}
		if r.Layout.Parts == nil {
			place = finding.Op{
				Op:    "add",
				Path:  r.LayoutPath("/parts"),
				Value: map[string]plan.PartOn{id: {At: way.at}},
			}
		}
		v := finding.Variant{Name: said.Say(way.name), Patch: []finding.Op{
			{
				Op:    "replace",
				Path:  "/parts/" + id + "/size",
				Value: plan.Size{Length: size(way.l), Width: size(way.w), Height: size(way.h)},
			}, place}}
		next, err := plan.Apply(p, v.Patch)
		if err != nil || len(plan.Clean(next)) > 0 {
			continue
		}
		on := rig.Resolve(next, q.Trailer, q.Outing)
		rep, comes := placed(next, q)
		then := outline(on, rep)
		opt := RampPlace{Variant: v, Kind: way.kind, Says: said.Say(way.says), Outcome: comes}
		for i, name := range []string{"{Ball load}", "Beyond the tail", "Damping of snaking", "Turns before it touches"} {
			opt.Figures = append(opt.Figures, Traded{said.Say(name), was[i], then[i]})
		}
		out.Options = append(out.Options, opt)
	}
	out.Says = said.Say("% places for the ramps.", said.Count(len(out.Options)))
	return out
}

// outline is what a place of the ramps changes: ball load, overhang, damping, turning.
func outline(r *rig.Rig, rep *review.Report) [4]*finding.Measure {
	of := func(code string) *finding.Measure {
		for i := range rep.Findings {
			if rep.Findings[i].Code == code {
				return rep.Findings[i].Figure
			}
		}
		return nil
	}
	out := [4]*finding.Measure{rep.Figures.Ball, nil, of(sway.CodeDamping), of(clearance.CodeTurn)}
	if v := clearance.Measure(r).Rear; v != nil {
		out[1] = finding.Exactly(quantity.KindLength, math.Max(0, *v))
	}
	return out
}

// ontoRamp mends how a machine gets on: longer ramps, the coupling raised, hitched, props,
// a block, filled steps, pins.
func ontoRamp(r *rig.Rig, f *finding.Finding) []finding.Way {
	if id, other := strings.CutPrefix(f.Subject, "/loads/"); other && r.Layout != nil && r.Layout.Loading != nil {
		r = ramp.Of(r, id)
	}
	s, missing, fails := ramp.Prepare(r)
	if s == nil || len(missing) > 0 || s.Tilts && fails != nil {
		return nil
	}
	loading, part := r.LayoutPath("/loading"), "/parts/"+s.RampID+"/ramp"
	one := func(effort float64, name said.Sentence, path string, value any) finding.Way {
		return wayOut(
			finding.Variant{Name: name, Patch: []finding.Op{{Op: "add", Path: path, Value: value}}},
			effort,
		)
	}
	longer := func(l float64) finding.Way {
		l = math.Ceil(l*20-1e-9) / 20
		return one(2, said.Say("ramps of %", said.Length(l)), part+"/length", l)
	}
	var out []finding.Way
	switch f.Code {
	case ramp.CodeSetup:
		if l := s.Wanted(); l > float64(s.Ramp.Length) {
			out = append(out, longer(l))
		}
	case ramp.CodeAngle:
		if l := s.Wanted(); !s.Tilts && l > float64(s.Ramp.Length) {
			out = append(out, longer(l))
		}
		if r.Layout.Loading.Raised == 0 {
			out = append(
				out,
				one(1, said.Say("the {coupling} raised by %", said.Length(0.15)), loading+"/raised", 0.15),
			)
		}
	case ramp.CodeClear:
		told := s.Told()
		if l := told.Shortest(f.Limit.Value); l > float64(s.Ramp.Length) {
			out = append(out, longer(l))
		}
		if up := told.LeastRaise(f.Limit.Value); up > 0 {
			out = append(
				out,
				one(
					1,
					said.Say("the {coupling} raised by %", said.Length(up)),
					loading+"/raised",
					round10(float64(r.Layout.Loading.Raised)+up),
				),
			)
		}
	case ramp.CodeTip:
		if r.Layout.Loading.Unhitched {
			out = append(
				out,
				wayOut(
					finding.Variant{
						Name:  said.Say("hitch it first"),
						Patch: []finding.Op{{Op: "remove", Path: loading + "/unhitched"}},
					},
					1,
				),
			)
		}
		if r.Layout.Loading.Props == nil {
			out = append(
				out,
				one(
					2,
					said.Say("rear props with a gap of %", said.Length(0.02)),
					loading+"/props",
					plan.Props{Back: quantity.Length(r.DeckLength() - 0.1), Gap: 0.02},
				),
			)
		}
	case ramp.CodeWinch:
		if !r.Layout.Loading.Winch.Block {
			out = append(out, one(2, said.Say("a block at the machine"), loading+"/winch/block", true))
		}
		if s.RampID != "" && (s.Ramp.Step == nil || *s.Ramp.Step > 0) {
			out = append(out, one(1, said.Say("the steps at the ramps' ends filled"), part+"/step", 0))
		}
		if r.Layout.Loading.Winch.Wheels == plan.RollsLocked {
			out = append(out, one(3, said.Say("its wheels freed to turn"), loading+"/winch/wheels", plan.RollsHard))
		}
	case ramp.CodeHold:
		out = append(out, one(1, said.Say("pins through the ramps' hooks"), part+"/held", plan.HeldPins))
	}
	return out
}
