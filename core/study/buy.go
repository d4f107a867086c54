package study

import (
	"context"
	"slices"
	"strings"

	"zygonos/core/ask/balance"
	"zygonos/core/ask/clearance"
	"zygonos/core/ask/fit"
	"zygonos/core/ask/towing"
	"zygonos/core/facts/catalogue"
	"zygonos/core/goods"
	"zygonos/core/lang/finding"
	"zygonos/core/lang/quantity"
	"zygonos/core/lang/said"
	"zygonos/core/plan"
	"zygonos/core/review"
	"zygonos/core/rig"
)

// Buying is what must hold before money is spent on one trailer.
type Buying struct {
	Trailer string            `json:"trailer"`
	Outcome finding.Outcome   `json:"outcome"`
	Says    said.Sentence     `json:"says"`
	Open    []finding.Finding `json:"open"`  // fails or not known; each with where to look
	Holds   int               `json:"holds"` // of the checks of the gate
	Of      int               `json:"of"`
	Growth  []Growth          `json:"growth"`
	Moved   []Named           `json:"moved"` // outings judged with their loads moved into the window, and how
}

// Growth is the plan with a bit more of what it carries.
type Growth struct {
	finding.Variant
	Outing  string          `json:"outing"` // on which it comes out worst
	Outcome finding.Outcome `json:"outcome"`
	Says    said.Sentence   `json:"says"`
}

// gateBuy lists the checks that hold a purchase back.
var gateBuy = []string{
	towing.CodePayload,
	towing.CodeTyreSpeed,
	towing.CodeBallSize,
	towing.CodePlug,
	towing.CodeBrakes,
	balance.CodeWindow,
	clearance.CodeCar,
	clearance.CodeWidth,
	fit.CodeMust,
}

// Buy judges one trailer at the moment before it is bought: over all outings,
// each check at its worst, then the same with more to carry.
func Buy(ctx context.Context, p *plan.Plan, trailer string) *Buying {
	review.Ready(p)
	out := &Buying{Trailer: trailer, Open: []finding.Finding{}, Growth: []Growth{}, Moved: []Named{}}
	t, ok := p.Trailers[trailer]
	if !ok {
		out.Outcome, out.Says = finding.Unknown, said.Say("No trailer is chosen.")
		return out
	}
	outings := p.OutingIDs()
	laid, lays := layAll(ctx, p, []string{trailer}, outings)
	for _, o := range outings {
		if says := lays.moved[[2]string{trailer, o}]; says != nil && !lays.assumed[[2]string{trailer, o}] {
			out.Moved = append(out.Moved, Named{ID: o, Name: says})
		}
	}
	worst := map[string]finding.Finding{}
	var order []string
	for _, o := range append(slices.Clone(outings), noOuting(outings)...) {
		if over(ctx) {
			f := finding.Finding{
				Code:    "trailer.not-looked",
				Stage:   "trailer",
				Gate:    finding.GateBuy,
				Subject: "/outings/" + o,
				Title:   said.Say("An outing"),
			}
			f.Outcome, f.Says = unlooked()
			worst["time"], order = f, append(order, "time")
			break
		}
		rep := review.Again(laid, review.Request{Outing: o, Trailer: trailer})
		for _, f := range rep.Findings {
			if !slices.Contains(gateBuy, f.Code) && !(f.Essential && f.Stage == "trailer") &&
				!(f.Stage == "vehicle" && f.Essential) {
				continue
			}
			key := f.Code + "|" + f.Subject
			if len(f.Needs) > 0 && f.Outcome == finding.Unknown {
				key = "need|" + f.Needs[0].Path // one cause is stated once
			}
			was, seen := worst[key]
			if !seen {
				order = append(order, key)
			}
			if !seen || f.Outcome.Rank() < was.Outcome.Rank() {
				worst[key] = f
			}
		}
	}
	papers := papersFinding(trailer, &t)
	worst["papers"], order = papers, append(order, "papers")
	for _, k := range order {
		f := worst[k]
		out.Of++
		if f.Outcome == finding.Holds || f.Outcome == finding.Tight {
			out.Holds++
			continue
		}
		out.Outcome = finding.Worse(out.Outcome, f.Outcome)
		f.Work = nil
		out.Open = append(out.Open, f)
	}
	finding.Sort(out.Open)
	switch out.Outcome {
	case finding.Fails:
		out.Says = said.Say(
			"Do not buy it for this: % of % checks hold.",
			said.Count(out.Holds),
			said.Count(out.Of),
		)
	case finding.Unknown:
		out.Says = said.Say(
			"No reason not to buy so far: % of % checks hold. Find out the rest at the seller's.",
			said.Count(out.Holds),
			said.Count(out.Of),
		)
	default:
		out.Outcome, out.Says = finding.Holds, said.Say("All % checks before buying hold.", said.Count(out.Of))
	}
	for _, v := range growths(laid, outings) {
		if over(ctx) {
			break
		}
		if g, ok := grow(laid, trailer, outings, v); ok {
			out.Growth = append(out.Growth, g)
		}
	}
	return out
}

// noOuting judges the empty trailer where no outing is stated.
func noOuting(outings []string) []string {
	if len(outings) == 0 {
		return []string{""}
	}
	return nil
}

func papersFinding(id string, t *plan.Trailer) finding.Finding {
	f := finding.Finding{
		Code:    "trailer.papers",
		Stage:   "trailer",
		Gate:    finding.GateBuy,
		Subject: "/trailers/" + id + "/papers",
		Title:   said.Say("Papers"),
		Scope:   finding.Scope{Trailer: id},
	}
	switch t.Papers {
	case plan.PapersComplete, plan.PapersNoNeed, plan.PapersNew:
		f.Outcome, f.Says = finding.Holds, said.Say("Papers are in order.")
	case plan.PapersMissing:
		f.Outcome, f.Says = finding.Fails, said.Say(
			"Papers are missing. Ask the office what that means before you pay.",
		)
	default:
		f.Outcome, f.Says = finding.Unknown, said.Say("Papers: not seen yet.")
		f.Needs = []finding.Need{
			{
				Path:  f.Subject,
				Says:  said.Say("the papers"),
				Where: said.Say("Compare the identity plate with them."),
			},
		}
	}
	return f
}

// nextBigger is how much heavier and longer the next bigger machine is.
const (
	nextBigger = 1.3
	nextLonger = 1.1
)

// growths are the usual ways in which a plan grows: one more boat, the next
// bigger machine, wet instead of dry.
func growths(p *plan.Plan, outings []string) []finding.Variant {
	var out []finding.Variant
	boat, machine := "", ""
	weight := func(id string) float64 {
		if e := p.Loads[id].Ends; e != nil && !e.One {
			return float64(e.Front.Value + e.Rear.Value)
		}
		if m := p.Loads[id].Mass; m != nil {
			return float64(m.Value)
		}
		k, _ := catalogue.LoadOf(p.Loads[id].Kind)
		return float64(k.Low+k.High) / 2
	}
	carried := map[string]bool{}
	for _, o := range outings {
		for _, id := range LoadsOf(p, o) {
			carried[id] = true
		}
	}
	for _, id := range p.LoadIDs() {
		l := p.Loads[id]
		if !carried[id] {
			continue
		}
		k, _ := catalogue.LoadOf(l.Kind)
		switch {
		case l.Bulk != nil && l.Bulk.Wet != plan.Soaked:
			ops := []finding.Op{{Op: "add", Path: "/loads/" + id + "/bulk/wet", Value: plan.Soaked}}
			m, ok := goods.StuffOf(p, l.Bulk)
			if ok && l.Bulk.By == plan.ByMass && l.Mass != nil {
				wet := *l.Mass // the same heap, soaked
				wet.Value *= quantity.Mass((m.WetLow + m.WetHigh) / (m.DryLow + m.DryHigh))
				ops = append(ops, finding.Op{Op: "add", Path: "/loads/" + id + "/mass", Value: wet})
			}
			out = append(out, finding.Variant{Name: said.Say("% wet", said.Name(l.Name, "the heap")), Patch: ops})
		case k.Shape == "hull" && (boat == "" || weight(id) > weight(boat)):
			boat = id
		case k.Shape == "wheels" && (machine == "" || weight(id) > weight(machine)):
			machine = id
		}
	}
	if boat != "" {
		more := "growth-boat"
		ops := []finding.Op{{Op: "add", Path: "/loads/" + more, Value: p.Loads[boat]}}
		for _, o := range outings {
			for t, l := range p.Outings[o].Layouts {
				if _, on := l.Placements[boat]; on {
					ops = append(
						ops,
						finding.Op{Op: "add", Path: "/outings/" + o + "/layouts/" + t + "/placements/" + more,
							Value: plan.Placement{On: plan.OnLoad, ID: boat}},
					)
				}
			}
		}
		out = append(
			out,
			finding.Variant{
				Name:  said.Say("one more like %", said.Name(p.Loads[boat].Name, "the boat")),
				Patch: ops,
			},
		)
	}
	if machine != "" {
		l := p.Loads[machine]
		kg := weight(machine) * nextBigger
		ops := []finding.Op{
			{
				Op:    "add",
				Path:  "/loads/" + machine + "/mass",
				Value: plan.MassEstimate{Value: quantity.Mass(kg), How: plan.Typical},
			},
		}
		if e := l.Ends; e != nil { // what its ends weigh counts before its weight
			next := *e
			next.Front.Value *= nextBigger
			next.Rear.Value *= nextBigger
			ops = append(ops, finding.Op{Op: "replace", Path: "/loads/" + machine + "/ends", Value: next})
		}
		if e := l.Size.Length; e != nil {
			ops = append(
				ops,
				finding.Op{
					Op:    "replace",
					Path:  "/loads/" + machine + "/size/length/value",
					Value: float64(e.Value) * nextLonger,
				},
			)
		}
		out = append(
			out,
			finding.Variant{
				Name:  said.Say("the next bigger than %, %", said.Name(l.Name, "the machine"), said.Mass(kg)),
				Patch: ops,
			},
		)
	}
	return out
}

// touches reports whether a variant changes a load.
func touches(v finding.Variant, load string) bool {
	path := "/loads/" + load
	return slices.ContainsFunc(
		v.Patch,
		func(op finding.Op) bool { return op.Path == path || strings.HasPrefix(op.Path, path+"/") },
	)
}

// grow judges a variant over the outings that carry what grew; after a growth
// the loads may be slid again.
func grow(p *plan.Plan, trailer string, outings []string, v finding.Variant) (Growth, bool) {
	g := Growth{Variant: v}
	patched, err := plan.Apply(p, v.Patch)
	if err != nil || len(plan.Clean(patched)) > 0 {
		return g, false
	}
	outings = slices.DeleteFunc(slices.Clone(outings), func(o string) bool {
		return !slices.ContainsFunc(LoadsOf(patched, o), func(id string) bool { return touches(v, id) })
	})
	var slides []finding.Op
	for _, o := range outings {
		if r := rig.Resolve(patched, trailer, o); r != nil && balance.Misses(r) {
			if _, ops, reached := Shift(r); reached {
				slides = append(slides, ops...)
			}
		}
	}
	if slid, err := plan.Apply(patched, slides); err == nil && len(plan.Clean(slid)) == 0 {
		patched = slid
	}
	for _, o := range outings {
		h := whole(patched, review.Request{Outing: o, Trailer: trailer}).Headline
		if g.Outcome == "" || h.Outcome.Rank() < g.Outcome.Rank() {
			g.Outing, g.Outcome, g.Says = o, h.Outcome, h.Says
		}
	}
	return g, g.Outcome != ""
}
