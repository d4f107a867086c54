package ramp

import (
	"slices"
	"strings"

	"zygonos/core/facts/catalogue"
	"zygonos/core/lang/finding"
	"zygonos/core/lang/said"
	"zygonos/core/plan"
	"zygonos/core/rig"
)

// milder are sets of a machine's usual figures with the ends at which a check that fails on the usual ones may
// not, the plainest first: more room under the belly, wheels nearer to each other or further, further forward or
// back, and all that together.
var milder = [][]end{
	{{"clearance", 1}},
	{{"wheelbase", -1}}, {{"wheelbase", 1}}, {{"frontAxle", -1}}, {{"frontAxle", 1}}, {{"track", -1}}, {{"track", 1}},
	{{"clearance", 1}, {"wheelbase", -1}}, {{"clearance", 1}, {"wheelbase", 1}},
	{{"clearance", 1}, {"frontAxle", -1}}, {{"clearance", 1}, {"frontAxle", 1}},
	{{"wheelbase", -1}, {"frontAxle", -1}}, {{"wheelbase", -1}, {"frontAxle", 1}},
	{{"wheelbase", 1}, {"frontAxle", -1}}, {{"wheelbase", 1}, {"frontAxle", 1}},
	{{"clearance", 1}, {"wheelbase", -1}, {"frontAxle", -1}}, {{"clearance", 1}, {"wheelbase", -1}, {"frontAxle", 1}},
	{{"clearance", 1}, {"wheelbase", 1}, {"frontAxle", -1}}, {{"clearance", 1}, {"wheelbase", 1}, {"frontAxle", 1}},
}

// end is a figure at the low or the high end of what is usual.
type end struct {
	field string
	to    int // -1 low, 1 high
}

// milder takes back that a check fails where it does so on figures of the machine that nobody told, and may not
// with others that are usual for its kind: it is tight and asks for them.
func (s *Setup) milder(out []finding.Finding) []finding.Finding {
	fails := func(f *finding.Finding) bool { return f.Outcome == finding.Fails }
	if len(s.Rough)+len(s.RoughTrack) == 0 {
		return out
	}
	for _, ends := range milder {
		if !slices.ContainsFunc(out, func(f finding.Finding) bool { return fails(&f) }) {
			break
		}
		t, guesses := s.at(ends)
		if t == nil {
			continue
		}
		again := t.judge()
		for i := range out {
			f := &out[i]
			k := slices.IndexFunc(again, func(g finding.Finding) bool { return g.Key() == f.Key() })
			if !fails(f) || k < 0 || fails(&again[k]) {
				continue
			}
			f.Outcome, f.Tight = finding.Tight, finding.GuessTooRough
			how := said.Say(" With other figures of its own, as they may be, it would not: tape them.")
			if len(guesses) == 1 {
				at := guesses[0].Range.High
				if ends[0].to < 0 {
					at = guesses[0].Range.Low
				}
				tape := said.Say("tape it.")
				if k, _ := catalogue.LoadOf(s.Item.Load.Kind); k.Rises != "" && ends[0].field == "clearance" {
					tape = said.Say("set its % as high as it goes and tape it.", said.Piece{Text: k.Rises})
				}
				how = said.Say(" At a "+guesses[0].Says+" of %, as it may be, it would not: ", said.Length(at))
				how = append(how, tape...)
			}
			f.Says = slices.Concat(said.Say("Roughly: "), f.Says.First(), how) // ways out once it is taped
			for _, g := range guesses {
				f.Needs = append(f.Needs, finding.Need{
					Path: g.Path, Says: said.Say("the machine's " + g.Says),
					Where: said.Say("Tape it; its kind's usual figure is taken."),
				})
			}
		}
	}
	return out
}

// at is the same drive with figures that nobody told at their ends; nil where one of them is told.
func (s *Setup) at(ends []end) (*Setup, []plan.Guess) {
	r, p := *s.Rig, *s.Rig.Plan
	all := rig.UsualRolling(&p, func(path string) bool { return path == s.Item.Path })
	var guesses []plan.Guess
	for _, e := range ends {
		k := slices.IndexFunc(all, func(g plan.Guess) bool { return strings.HasSuffix(g.Path, "/"+e.field) })
		if k < 0 {
			return nil, nil
		}
		g := all[k]
		if guesses = append(guesses, g); e.to < 0 {
			g.Set(g.Range.Low)
		} else {
			g.Set(g.Range.High)
		}
	}
	r.Plan, r.Items = &p, slices.Clone(r.Items)
	for i := range r.Items {
		if it := &r.Items[i]; it.Path == s.Item.Path {
			load := p.Loads[it.ID]
			it.Load = &load
		}
	}
	t, missing, fails := Prepare(&r)
	if len(missing) > 0 || fails != nil {
		return nil, nil
	}
	return t, guesses
}
