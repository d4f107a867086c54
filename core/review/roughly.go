package review

import (
	"slices"

	"zygonos/core/lang/finding"
	"zygonos/core/lang/said"
	"zygonos/core/plan"
	"zygonos/core/rig"
)

// all are the findings on a rig.
func all(r *rig.Rig) []finding.Finding { return ask(r, new(Report)) }

// roughly marks the findings that hang on lengths which are only usual for the trailer's kind:
// each is asked again with those lengths at the ends of their ranges. What changes is said
// "roughly" and takes the tape: it never holds, and fails only where it does at every end. With
// detail each of those lengths is moved alone, and only the ones that matter are asked for.
func roughly(r *rig.Rig, fs []finding.Finding, detail bool, ask func(*rig.Rig) []finding.Finding) {
	ends := r.Ends()
	if ends == nil {
		return
	}
	again := func(p *plan.Plan) map[string]*finding.Finding {
		out := map[string]*finding.Finding{}
		if at := rig.Resolve(p, r.Scope.Trailer, r.Scope.Outing); at != nil {
			for _, f := range ask(at) {
				out[f.Key()] = &f
			}
		}
		return out
	}
	hangs, mildest := make([]bool, len(fs)), make([]finding.Outcome, len(fs))
	look := func(p *plan.Plan, differs func(i int)) {
		at := again(p)
		for i := range fs {
			o := at[fs[i].Key()]
			if o == nil || !same(&fs[i], o) {
				differs(i)
			}
			if o != nil && o.Outcome != finding.Fails {
				mildest[i] = o.Outcome
			}
		}
	}
	for _, p := range ends {
		look(p, func(i int) { hangs[i] = true })
	}
	needs := make([][]finding.Need, len(fs))
	for _, n := range r.Usual {
		if !detail {
			break
		}
		for _, p := range r.EndsOf(n) {
			look(p, func(i int) {
				if k := len(needs[i]); k == 0 || needs[i][k-1].Path != n.Path {
					needs[i] = append(needs[i], n)
				}
			})
		}
	}
	for i := range fs {
		f := &fs[i]
		if !hangs[i] && len(needs[i]) == 0 || f.Outcome == finding.Unknown && len(f.Needs) > 0 {
			continue
		}
		if f.Outcome == finding.Holds || f.Outcome == finding.Fails && mildest[i] != "" {
			f.Outcome, f.Tight = finding.Tight, finding.GuessTooRough
		}
		if len(f.Says) == 0 || f.Says[0].Text != rough { // a machine's own figures may be usual ones too
			f.Says = append(said.Say(rough), f.Says...)
		}
		if needs[i] == nil {
			needs[i] = r.Usual
		}
		f.Needs = append(slices.Clone(f.Needs), needs[i]...)
	}
}

// isRough reports whether the finding of that code hangs on lengths that are only usual.
func (rep *Report) isRough(code string) bool {
	return slices.ContainsFunc(rep.Findings, func(f finding.Finding) bool {
		return f.Code == code && len(f.Says) > 0 && f.Says[0].Text == rough
	})
}

// rough begins what hangs on them.
const rough = "Roughly: "

// same reports whether two findings of one check come to the same.
func same(a, b *finding.Finding) bool {
	return a.Outcome == b.Outcome && a.Tight == b.Tight && alike(a.Figure, b.Figure) && alike(a.Limit, b.Limit) &&
		slices.EqualFunc(a.Says, b.Says, func(p, q said.Piece) bool {
			return p.Text == q.Text && p.Term == q.Term && p.Name == q.Name && near(p.Value, q.Value)
		})
}

func alike(a, b *finding.Measure) bool {
	return a == nil && b == nil ||
		a != nil && b != nil && near(&a.Value, &b.Value) && near(a.Low, b.Low) && near(a.High, b.High)
}

func near(a, b *float64) bool {
	return a == nil && b == nil || a != nil && b != nil && max(*a-*b, *b-*a) <= 1e-9*max(1, *a, -*a)
}
