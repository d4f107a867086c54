package deck

import (
	"math"

	"zygonos/core/facts/norms"
	"zygonos/core/lang/finding"
	"zygonos/core/lang/quantity"
	"zygonos/core/lang/said"
	"zygonos/core/parts"
	"zygonos/core/plan"
	"zygonos/core/rig"
	"zygonos/core/sums/section"
)

// Codes of the floor's edges and faces.
const (
	CodeEdge  = "deck.edge"
	CodeForks = "deck.forks"
	CodeTread = "deck.tread"
	CodePaint = "deck.paint"
)

// forkReach is how far the forks of a truck reach in from a side, m (practice, C).
const forkReach = 1.15

// faces judges the floor's edges, its tread, its paint, and where forks set down on it.
func faces(r *rig.Rig) (out []finding.Finding) {
	d := r.Trailer.Decking
	if d == nil {
		return nil
	}
	for _, ask := range []func(*rig.Rig, *plan.Decking) (finding.Finding, bool){edge, rub, forks, tread, paint} {
		if f, ok := ask(r, d); ok {
			out = append(out, f)
		}
	}
	return out
}

func face(r *rig.Rig, code, title, field string) finding.Finding {
	f := base(r, code, title)
	f.Stage, f.Gate, f.Source = "frame", "", norms.Practice("floors that drain, grip and last")
	f.Subject = "/trailers/" + r.Scope.Trailer + "/decking/" + field
	return f
}

// edge asks that the floor stands over the steel at its edges: lower, water stands in the tray.
func edge(r *rig.Rig, d *plan.Decking) (finding.Finding, bool) {
	f := face(r, CodeEdge, "The floor's edge", "proud")
	if d.Proud == nil {
		return f, false
	}
	p := float64(*d.Proud)
	f.Figure = finding.Exactly(quantity.KindLength, p)
	if p < 0 {
		f.Outcome, f.Tight = finding.Tight, finding.LittleRoom
		f.Says = said.Say(
			"The floor lies % below the steel: water stands in the tray, and anything you slide off catches. Pack the floor up, or drill drain holes of % in each bay.",
			said.Length(-p),
			said.Length(drainHole),
		)
		return f, true
	}
	f.Says = said.Say("The floor stands % above the steel at its edges: water runs off.", said.Length(p))
	return f, true
}

// rub holds the width over the rub rails against the width that is entered.
func rub(r *rig.Rig, d *plan.Decking) (finding.Finding, bool) {
	f := face(r, CodeEdge, "Rub rails", "rub")
	if d.Rub == (plan.Profile{}) {
		return f, false
	}
	if _, err := section.Of(parts.SizeOf(d.Rub)); err != nil {
		f.Outcome = finding.Fails
		f.Says = said.Say("The rub rail's section makes no sense: " + err.Error() + ". Enter its sizes again.")
		return f, true
	}
	broad := r.DeckWidth() + 2*parts.RubWide(d)
	f.Figure = finding.Exactly(quantity.KindLength, broad)
	f.Says = said.Say("% over the rub rails.", said.Length(broad))
	if w := r.Trailer.WidthOverAll; w != nil && float64(w.Value) < broad-1e-6 {
		f.Outcome, f.Tight, f.Subject = finding.Tight, finding.LittleRoom, "/trailers/"+r.Scope.Trailer+"/widthOverAll"
		f.Limit = finding.Exactly(quantity.KindLength, float64(w.Value))
		f.Says = said.Say(
			"Over its rub rails the trailer is % wide; % is entered as its width over all. Gates and lanes go by that figure: correct it.",
			said.Length(broad),
			said.Length(w.Value),
		)
	}
	return f, true
}

// forks asks for plate where an outing's load comes in on forks: tips and pallet feet tear wood.
func forks(r *rig.Rig, d *plan.Decking) (finding.Finding, bool) {
	f := face(r, CodeForks, "Where forks set down", "forkPlate")
	if r.Layout == nil || r.Layout.Shift == nil || r.Layout.Shift.With != plan.ByForks ||
		r.Trailer.Floor != plan.FloorPly && r.Trailer.Floor != plan.FloorBoards {
		return f, false
	}
	in := math.Min(forkReach, r.DeckWidth())
	has := 0.0
	if d.ForkPlate != nil {
		has = float64(*d.ForkPlate)
	}
	f.Figure, f.Limit = finding.Exactly(quantity.KindLength, has), finding.Exactly(quantity.KindLength, in)
	switch {
	case has == 0:
		f.Outcome, f.Tight = finding.Tight, finding.LittleRoom
		f.Says = said.Say(
			"Forks set down on wood and split it. Fit checker plate % in from the side they come from.",
			said.Length(in),
		)
	case has < in-1e-6:
		f.Outcome, f.Tight = finding.Tight, finding.LittleRoom
		f.Says = said.Say("The plate reaches % in from the side and forks reach %, so their tips set down on wood.",
			said.Length(has), said.Length(in))
	default:
		f.Says = said.Say("The plate reaches as far in as the forks do.")
	}
	return f, true
}

// tread says how the surface grips under a wet shoe. What lets hulls slide easily lets people slide too.
func tread(r *rig.Rig, d *plan.Decking) (finding.Finding, bool) {
	f := face(r, CodeTread, "Grip under a wet shoe", "tread")
	t, ok := norms.TreadOf(d.Tread)
	if !ok {
		return f, false
	}
	f.Source = &finding.Source{
		Title: "Slip tests after EN 16165, annex C", Clause: "pendulum 36 and more; grip of surfaces by practice",
		AsOf: "2021", Confidence: "C",
	}
	low, high := t.Low, t.High
	f.Figure = &finding.Measure{Kind: quantity.KindShare, Value: (low + high) / 2, Low: &low, High: &high}
	f.Limit = finding.Exactly(quantity.KindShare, norms.TreadWanted)
	says := said.Say(
		"A wet sole grips with %, to % on "+t.Name+"; % is wanted where people walk. ",
		said.Share(low), said.Share(high), said.Share(norms.TreadWanted),
	)
	switch {
	case high < norms.TreadWanted:
		f.Outcome, f.Tight = finding.Tight, finding.LittleRoom
		f.Says = append(
			says,
			said.Say("It is slippery: fit grip strips or sanded paint where you step, beside where hulls slide on.")...)
	case low < norms.TreadWanted:
		f.Outcome, f.Tight = finding.Tight, finding.GuessTooRough
		f.Says = append(says, said.Say("Try it wet before you trust it, or lay grip strips where you step.")...)
	default:
		f.Says = append(says, said.Say("It grips. That does not cover mud or ice.")...)
	}
	return f, true
}

// paint lists the faces of a wooden floor that are left bare.
func paint(r *rig.Rig, d *plan.Decking) (finding.Finding, bool) {
	f := face(r, CodePaint, "Paint on the floor", "paintUnder")
	if r.Trailer.Floor != plan.FloorPly && r.Trailer.Floor != plan.FloorBoards {
		return f, false
	}
	var bare, open []said.Sentence
	var needs []finding.Need
	for _, s := range []struct {
		told        *bool
		field, name string
	}{
		{d.PaintTop, "paintTop", "its top"}, {d.PaintUnder, "paintUnder", "its underside"},
		{d.PaintEdges, "paintEdges", "its cut edges and holes"},
	} {
		switch {
		case s.told == nil:
			open = append(open, said.Say(s.name))
			needs = append(needs, finding.Need{
				Path: "/trailers/" + r.Scope.Trailer + "/decking/" + s.field, Says: said.Say("the paint of the floor on " + s.name),
				Where: said.Say("Look, or paint it."),
			})
		case !*s.told:
			bare = append(bare, said.Say(s.name))
		}
	}
	if len(open) == 3 {
		return f, false
	}
	switch {
	case len(bare) > 0:
		f.Outcome, f.Tight = finding.Tight, finding.LittleRoom
		f.Says = append(said.Say("The floor is bare on "), said.List(bare...)...)
		f.Says = append(
			f.Says,
			said.Say(". Wood takes up water there, and a sheet painted on only one side bows.")...)
	case len(open) > 0:
		f.Outcome, f.Needs = finding.Unknown, needs
		f.Says = said.Say("Whether the floor is painted all round is not known.")
	default:
		f.Says = said.Say("The floor is painted all round, its cut edges and holes too.")
	}
	if len(open) > 0 {
		f.Says = append(f.Says, said.Say(" Not entered: ")...)
		f.Says = append(append(f.Says, said.List(open...)...), said.Say(".")...)
	}
	return f, true
}
