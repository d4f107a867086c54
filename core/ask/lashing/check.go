package lashing

import (
	"zygonos/core/facts/norms"
	"zygonos/core/lang/finding"
	"zygonos/core/lang/quantity"
	"zygonos/core/lang/said"
	"zygonos/core/rig"
)

// Codes of the findings made here.
const (
	CodeRule     = "tie.rule"
	CodeStatics  = "tie.statics"
	CodeLength   = "tie.length"
	CodePractice = "tie.practice"
	CodeWind     = "tie.wind"
	CodePress    = "tie.press"
)

func judge(school string, l *Load) Verdict {
	switch school {
	case "na":
		return NorthAmerica(l)
	case "au":
		return Guides(l)
	}
	return European(l)
}

// Check judges every load's ties under the chosen school, and practice.
func Check(r *rig.Rig) []finding.Finding {
	var out []finding.Finding
	school := norms.TieSchoolOf(r.Plan.TieSchool, r.Plan.Region)
	for i := range r.Items { // what weighs nobody knows how much is held by nobody knows what
		it := &r.Items[i]
		if it.Part || it.Mass != nil && it.Mass.Nominal > 0 {
			continue
		}
		name := said.Name(it.Name, "a load")
		needs := []finding.Need{
			{
				Path:  it.Path + "/mass",
				Says:  said.Say("the weight of %", name),
				Where: said.Say("Weigh it, or look at its plate or papers."),
			},
		}
		if it.Lot != nil && len(it.Lot.Needs) > 0 {
			needs = it.Lot.Needs
		}
		out = append(
			out,
			finding.Finding{
				Code:    CodeRule,
				Stage:   Stage,
				Scope:   r.Scope,
				Gate:    finding.GateGo,
				Subject: it.Path,
				Title:   said.Say("Tied down"),
				Outcome: finding.Unknown,
				Says:    said.Say("Whether % stays is not known: its weight is not known.", name),
				Needs:   needs,
			},
		)
	}
	loads := Loads(r)
	for i := range loads {
		l := &loads[i]
		base := func(code, title string) finding.Finding {
			return finding.Finding{
				Code:    code,
				Stage:   Stage,
				Scope:   r.Scope,
				Gate:    finding.GateGo,
				Subject: l.Item.Path,
				Title:   said.Say(title),
				Outcome: finding.Holds,
			}
		}
		name := said.Name(l.Item.Name, "a load")
		f := base(CodeRule, "Tied down")
		f.Source = &finding.Source{Title: school.Name, Clause: school.Source, AsOf: norms.AsOf, Confidence: "B"}
		switch {
		case l.Item.Shape == "heap":
			f.Says = said.Say("Cover %: use a net or tarpaulin over the sides.", name)
			f.Outcome, f.Tight = finding.Tight, finding.LittleRoom
			out = append(out, f)
			continue
		case len(l.Broken) > 0:
			f.Outcome, f.Needs = finding.Unknown, l.Broken
			f.Says = append(
				append(said.Say("% is not fully described: ", name), l.Broken[0].Says...),
				said.Piece{Text: "."},
			)
			out = append(out, f)
			continue
		case len(l.Ties) == 0:
			f.Outcome = finding.Unknown
			f.Says = said.Say("% is not tied down yet.", name)
			f.Needs = []finding.Need{
				{
					Path:  r.LayoutPath("/lashings"),
					Says:  said.Say("how % is tied down", name),
					Where: said.Say("Have it planned, or draw straps yourself."),
				},
			}
			out = append(out, f)
			continue
		}
		v := judge(school.ID, l)
		f.Figure, f.Limit = finding.Exactly(quantity.KindMass, v.Has), finding.Exactly(quantity.KindMass, v.Needs)
		switch {
		case v.Count < v.Least:
			f.Outcome, f.Says = finding.Fails, said.Say(
				"% has %; for its length and weight it needs %.",
				name,
				said.Counted(v.Count, "tie-down", "tie-downs"),
				said.Count(v.Least),
			)
		case !v.Holds():
			f.Outcome, f.Says = finding.Fails, said.Say(
				"% is held by % of %"+v.toward()+".",
				name,
				said.Mass(v.Has),
				said.Mass(v.Needs),
			)
			advice := advise(
				ImproveRule(r, l, school.ID),
				&f,
				quantity.KindMass,
				func(w Better) said.Sentence { return said.Say("% of %", said.Mass(w.Has), said.Mass(w.Needs)) },
			)
			if advice == nil {
				advice = said.Say(" Use straps that take more, or other tie points.")
			}
			f.Says = append(f.Says, advice...)
		case guessed(l):
			f.Outcome, f.Tight = finding.Tight, finding.GuessTooRough
			f.Says = said.Say(
				"% is held, if strap and tie points take what is usual. Look for their tags and plates.",
				name,
			)
		default:
			f.Says = said.Say("% is held: % of % asked"+v.toward()+".", name, said.Mass(v.Has), said.Mass(v.Needs))
		}
		out = append(out, f)
		for k := range l.Ties {
			if t := &l.Ties[k]; t.Has != nil && quantity.Exceeds(t.Long, *t.Has) {
				g := base(CodeLength, "Strap's length")
				g.Subject = t.Path
				g.Figure, g.Limit = finding.Exactly(
					quantity.KindLength,
					t.Long,
				), finding.Exactly(
					quantity.KindLength,
					*t.Has,
				)
				g.Outcome, g.Says = finding.Fails, said.Say(
					"% is % long, but its path is %.",
					said.Name(t.Name, "A strap"),
					said.Length(*t.Has),
					said.Length(t.Long),
				)
				out = append(out, g)
			}
		}
		if g, ok := press(r, l, base(CodePress, "Not too tight")); ok {
			out = append(out, g)
		}
		if g, ok := wind(r, l, base(CodeWind, "Wind at speed")); ok {
			out = append(out, g)
		}
		if g, ok := practice(r, l, base(CodePractice, "As it is done")); ok {
			out = append(out, g)
		}
	}
	return out
}

func guessed(l *Load) bool {
	for i := range l.Ties {
		if l.Ties[i].Guess {
			return true
		}
	}
	return false
}

// Answer is the stage's one answer from its findings: what fails, what is open, what is
// tight, or that all stays.
func Answer(fs []finding.Finding) said.Sentence {
	var open, little *finding.Finding
	guess := false
	n, seen := 0, false
	for i := range fs {
		f := &fs[i]
		if f.Stage != Stage || f.Compares {
			continue
		}
		seen = true
		switch {
		case f.Outcome == finding.Fails:
			return f.Says
		case f.Outcome == finding.Unknown:
			if n++; open == nil {
				open = f
			}
		case f.Tight == finding.LittleRoom && little == nil:
			little = f
		case f.Tight == finding.GuessTooRough:
			guess = true
		}
	}
	switch {
	case n == 1:
		return open.Says
	case n > 1:
		return said.Say("% loads are not tied down yet, or not fully described.", said.Count(n))
	case little != nil:
		return little.Says
	case guess:
		return said.Say("All loads stay, if straps and tie points take what is usual: look for tags and plates.")
	case seen:
		return said.Say("All loads stay where they are, by the rule and by statics.")
	}
	return said.Say("Nothing stands on the trailer yet.")
}
