package study

import (
	"context"
	"slices"

	"zygonos/core/ask/balance"
	"zygonos/core/ask/clearance"
	"zygonos/core/ask/fit"
	"zygonos/core/ask/frame"
	"zygonos/core/ask/towing"
	"zygonos/core/lang/finding"
	"zygonos/core/lang/said"
	"zygonos/core/plan"
	"zygonos/core/review"
	"zygonos/core/rig"
)

// CutGate is what must hold before steel is cut, over all outings, each check at its worst.
type CutGate struct {
	Outcome finding.Outcome   `json:"outcome"`
	Says    said.Sentence     `json:"says"`
	Open    []finding.Finding `json:"open"`  // fails or not known
	Tight   []finding.Finding `json:"tight"` // holds with little room
	Holds   int               `json:"holds"`
	Of      int               `json:"of"`
}

// gateCut lists the checks that hold a cut back beside those whose own gate it is.
var gateCut = []string{
	towing.CodePayload, balance.CodeWindow, clearance.CodeTurn, clearance.CodeCar, clearance.CodeWidth, fit.CodeMust,
}

// codeAsked is the code of the row on approval.
const codeAsked = "frame.asked"

// BeforeCut judges a drawn frame at the moment before its first bar is cut.
func BeforeCut(ctx context.Context, p *plan.Plan, trailer string) *CutGate {
	review.Ready(p)
	out := &CutGate{Open: []finding.Finding{}, Tight: []finding.Finding{}}
	t, ok := p.Trailers[trailer]
	if !ok || t.Frame == nil {
		out.Outcome, out.Says = finding.Unknown, said.Say("No frame is drawn.")
		return out
	}
	outings := p.OutingIDs()
	laid, _ := layAll(ctx, p, []string{trailer}, outings)
	worst := map[string]finding.Finding{}
	var order []string
	count := func(key string, f finding.Finding) {
		was, seen := worst[key]
		if !seen {
			order = append(order, key)
		}
		if !seen || f.Outcome.Rank() < was.Outcome.Rank() {
			worst[key] = f
		}
	}
	for _, o := range append(slices.Clone(outings), noOuting(outings)...) {
		if over(ctx) {
			f := finding.Finding{
				Code:    "frame.not-looked",
				Stage:   "frame",
				Gate:    finding.GateCut,
				Subject: "/outings/" + o,
				Title:   said.Say("An outing"),
			}
			f.Outcome, f.Says = unlooked()
			count("time", f)
			break
		}
		more := frame.BeforeCut(rig.Resolve(laid, trailer, o))
		for _, f := range append(whole(laid, review.Request{Outing: o, Trailer: trailer}).Findings, more...) {
			if f.Gate != finding.GateCut && !slices.Contains(gateCut, f.Code) {
				continue
			}
			key := f.Code
			if len(f.Needs) > 0 && f.Outcome == finding.Unknown {
				key = "need|" + f.Needs[0].Path // one cause is stated once
			}
			count(key, f)
		}
	}
	count("asked", asked(trailer, t.Frame))
	for _, k := range order {
		f := worst[k]
		f.Work, f.HasWork = nil, false
		out.Of++
		switch f.Outcome {
		case finding.Holds:
			out.Holds++
		case finding.Tight:
			out.Holds++
			out.Tight = append(out.Tight, f)
		default:
			out.Outcome = finding.Worse(out.Outcome, f.Outcome)
			out.Open = append(out.Open, f)
		}
	}
	finding.Sort(out.Open)
	switch out.Outcome {
	case finding.Fails:
		out.Says = said.Say("Do not cut yet: % of % checks hold.", said.Count(out.Holds), said.Count(out.Of))
	case finding.Unknown:
		out.Says = said.Say("Nothing fails, but % of % checks are open. Settle them before you cut.",
			said.Count(len(out.Open)), said.Count(out.Of))
	default:
		out.Outcome = finding.Holds
		out.Says = said.Say("All % checks before cutting hold. Tape once more, then cut.", said.Count(out.Of))
	}
	return out
}

// asked tells whether the owner asked about approval: no sum can answer that.
func asked(trailer string, f *plan.Frame) finding.Finding {
	out := finding.Finding{
		Code: codeAsked, Stage: "frame", Gate: finding.GateCut, Subject: "/trailers/" + trailer + "/frame/asked",
		Title: said.Say("Approval"), Scope: finding.Scope{Trailer: trailer}, Outcome: finding.Holds,
		Source: &finding.Source{
			Title:      "UN R55 and national rules",
			Clause:     "mechanical couplings; approval of single vehicles",
			AsOf:       "2026",
			Confidence: "B",
		},
		Says: said.Say("You have asked what approval frame and {drawbar} need."),
	}
	if !f.Asked {
		out.Outcome = finding.Unknown
		out.Says = said.Say(
			"Whether this frame and its {drawbar} may be built, lengthened or drilled is up to your authority.",
		)
		out.Needs = []finding.Need{{
			Path: out.Subject, Says: said.Say("what approval frame and {drawbar} need"),
			Where: said.Say(
				"Ask the registration office or inspection; a {drawbar} with a type plate is an approved part.",
			),
		}}
	}
	return out
}
