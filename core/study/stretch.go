package study

import (
	"cmp"
	"context"
	"math"
	"slices"

	"zygonos/core/ask/clearance"
	"zygonos/core/ask/fit"
	"zygonos/core/ask/frame"
	"zygonos/core/ask/towing"
	"zygonos/core/begin"
	"zygonos/core/lang/finding"
	"zygonos/core/lang/quantity"
	"zygonos/core/lang/said"
	"zygonos/core/parts"
	"zygonos/core/plan"
	"zygonos/core/review"
	"zygonos/core/rig"
)

// Stretched is what a drawn frame becomes when it is made longer or wider, before it is.
type Stretched struct {
	Rows  []StretchRow     `json:"rows"`
	Worse []StretchCheck   `json:"worse"` // checks that come out worse, over all outings, the worst first
	Says  said.Sentence    `json:"says"`
	Axle  said.Sentence    `json:"axle,omitempty"` // where the axle then may stand
	Notes []said.Sentence  `json:"notes"`          // what no sum answers
	Fails string           `json:"fails,omitempty"`
	Fix   *finding.Variant `json:"fix,omitempty"`
}

// StretchRow is a figure as it is and as it becomes.
type StretchRow struct {
	Name said.Sentence   `json:"name"`
	Was  finding.Measure `json:"was"`
	Now  finding.Measure `json:"now"`
}

// StretchCheck is a check that comes out worse.
type StretchCheck struct {
	Was finding.Outcome `json:"was"`
	Now finding.Finding `json:"now"`
}

// Stretch says what a trailer becomes by a stretch (begin.Patch, what it is asked there), over all outings.
func Stretch(ctx context.Context, p *plan.Plan, q *begin.Asked) *Stretched {
	review.Ready(p)
	out := &Stretched{Rows: []StretchRow{}, Worse: []StretchCheck{}, Notes: []said.Sentence{}}
	q.What = "stretch"
	ops, err := begin.Patch(p, q)
	if err != nil {
		out.Fails = err.Error()
		return out
	}
	after, err := plan.Apply(p, ops)
	if err != nil {
		out.Fails = "That cannot be done: " + err.Error() + "."
		return out
	}
	review.Ready(after)
	was, now := overAll(ctx, p, q.Trailer), overAll(ctx, after, q.Trailer)
	add := func(name string, a, b *finding.Measure) {
		if a != nil && b != nil && math.Abs(a.Value-b.Value) > 1e-6 {
			out.Rows = append(out.Rows, StretchRow{said.Say(name), *a, *b})
		}
	}
	add("Payload left", was.payload, now.payload)
	add("Members weigh", was.mass, now.mass)
	add("Length over all", was.long, now.long)
	add("Width over all", was.wide, now.wide)
	add("Load beyond the tail", was.rear, now.rear)
	add("Free corner dips under [100 kg]", was.dip, now.dip)
	add("Weakest member is loaded to", was.use, now.use)
	for key, f := range now.worst {
		before, had := was.worst[key]
		if !had { // the same check spoke of something else before
			before, had = was.ofCode(f.Code)
		}
		if f.Outcome != finding.Holds && (!had || worse(&f, &before)) {
			c := StretchCheck{Was: before.Outcome, Now: f}
			c.Now.Work, c.Now.HasWork = nil, false
			if !had {
				c.Was = finding.Holds
			}
			out.Worse = append(out.Worse, c)
		}
	}
	slices.SortFunc(out.Worse, func(a, b StretchCheck) int {
		return cmp.Or(cmp.Compare(a.Now.Outcome.Rank(), b.Now.Outcome.Rank()), cmp.Compare(a.Now.Code, b.Now.Code),
			cmp.Compare(a.Now.Subject, b.Now.Subject))
	})
	if axle := PlaceAxle(ctx, after, q.Trailer); len(axle.Says) > 0 {
		out.Axle = axle.Says
	}
	fails := 0
	for _, w := range out.Worse {
		if w.Now.Outcome == finding.Fails && w.Was != finding.Fails {
			fails++
		}
	}
	switch {
	case fails > 0:
		out.Says = said.Say("% checks that hold now then fail.", said.Counted(fails, "check", "checks"))
		if fails == 1 {
			out.Says = said.Say("One check that holds now then fails.")
		}
	case over(ctx):
		out.Says = notLooked
	case len(out.Worse) > 0:
		out.Says = said.Say(
			"No check that holds now fails; % come out worse.",
			said.Counted(len(out.Worse), "check", "checks"),
		)
	default:
		out.Says = said.Say("No check comes out worse.")
	}
	out.Notes = append(out.Notes, said.Say(
		"Plate and papers cover the trailer as it was approved: before you cut, ask about another length or width. A computed strength raises no rating.",
	))
	if q.Kind == "drawbar" {
		out.Notes = append(
			out.Notes,
			said.Say(
				"A {drawbar} with a type plate is an approved part: lengthening or welding it ends the approval.",
			),
		)
	}
	if over(ctx) && fails > 0 {
		out.Notes = append(out.Notes, notLooked)
	}
	out.Fix = &finding.Variant{Name: said.Say("stretch the frame"), Patch: ops}
	return out
}

// worse reports whether a check comes out worse than another: by its outcome, or where both fail by what it lacks.
func worse(a, b *finding.Finding) bool {
	if a.Outcome != b.Outcome {
		return a.Outcome.Rank() < b.Outcome.Rank()
	}
	return a.Outcome == finding.Fails && a.Margin != nil && b.Margin != nil && *a.Margin < *b.Margin-1e-9
}

// figures are those of a trailer over all outings.
type figures struct {
	payload, mass, long, wide, rear, dip, use *finding.Measure
	worst                                     map[string]finding.Finding // by code and what it is about
}

// ofCode is the worst check of a code, whatever it is about.
func (f *figures) ofCode(code string) (out finding.Finding, ok bool) {
	for _, g := range f.worst {
		if g.Code == code && (!ok || worse(&g, &out)) {
			out, ok = g, true
		}
	}
	return out, ok
}

// overAll gathers them.
func overAll(ctx context.Context, p *plan.Plan, trailer string) (out figures) {
	out.worst = map[string]finding.Finding{}
	if t := p.Trailers[trailer]; t.Frame != nil {
		mass, _ := parts.FrameMass(t.Frame)
		out.mass = finding.Exactly(quantity.KindMass, mass)
	}
	most := func(have **finding.Measure, kind quantity.Kind, v *float64) {
		if v != nil && (*have == nil || *v > (*have).Value) {
			*have = finding.Exactly(kind, *v)
		}
	}
	outings := p.OutingIDs()
	for _, o := range append(slices.Clone(outings), noOuting(outings)...) {
		if over(ctx) {
			return out
		}
		rep := whole(p, review.Request{Outing: o, Trailer: trailer})
		for _, f := range rep.Findings {
			if f.Code == fit.CodeMust {
				continue
			}
			if f.Code == towing.CodePayload && f.Figure != nil &&
				(out.payload == nil || f.Figure.Value < out.payload.Value) {
				out.payload = f.Figure
			}
			key := f.Code + "|" + f.Subject
			if g, had := out.worst[key]; !had || worse(&f, &g) {
				out.worst[key] = f
			}
		}
		r := rig.Resolve(p, trailer, o)
		m := clearance.Measure(r)
		most(&out.long, quantity.KindLength, m.Length)
		most(&out.wide, quantity.KindLength, m.Width)
		most(&out.rear, quantity.KindLength, m.Rear)
		if pic := frame.Whole(r); pic != nil {
			for _, u := range pic.Members {
				if u.Use != nil {
					most(&out.use, quantity.KindShare, &u.Use.Value)
				}
			}
			if pic.Twist != nil {
				out.dip = &pic.Twist.Corner
			}
		}
	}
	return out
}
