package study

import (
	"strings"

	"zygonos/core/lang/finding"
	"zygonos/core/lang/said"
	"zygonos/core/plan"
	"zygonos/core/review"
)

// warner tells of variants which outings they would make fail that do not fail now.
type warner struct {
	plan    *plan.Plan
	trailer string
	before  map[string]map[string]finding.Outcome // by outing, by a finding's key
}

func newWarner(p *plan.Plan, trailer string) *warner {
	return &warner{p, trailer, map[string]map[string]finding.Outcome{}}
}

// was are the outcomes of an outing's checks as they are now, made once.
func (w *warner) was(outing string) map[string]finding.Outcome {
	if m := w.before[outing]; m != nil {
		return m
	}
	m := map[string]finding.Outcome{}
	rep := atRest(w.plan, review.Request{Outing: outing, Trailer: w.trailer})
	for i := range rep.Findings {
		m[rep.Findings[i].Key()] = rep.Findings[i].Outcome
	}
	w.before[outing] = m
	return m
}

// warn adds to a variant's name which outings it would make fail that do not fail now, by whatever
// check, and why; but for the outing except, which was judged already. What is set in that outing
// alone touches no other.
func (w *warner) warn(v *finding.Variant, except string) {
	if v == nil || except != "" && within(v, "/outings/"+except+"/") {
		return
	}
	next, err := plan.Apply(w.plan, v.Patch)
	if err != nil || len(plan.Clean(next)) > 0 {
		return
	}
	for _, o := range w.plan.OutingIDs() {
		if o == except {
			continue
		}
		was := w.was(o)
		after := atRest(next, review.Request{Outing: o, Trailer: w.trailer})
		for i := range after.Findings {
			f := &after.Findings[i]
			if f.Outcome != finding.Fails || f.Compares || was[f.Key()] == finding.Fails {
				continue
			}
			v.Name = append(v.Name, said.Say(". Then % fails: ", said.Name(w.plan.Outings[o].Name, "an outing"))...)
			v.Name = append(v.Name, f.Says...)
			break
		}
	}
}

// within reports whether all that a variant changes lies under a path.
func within(v *finding.Variant, path string) bool {
	for _, op := range v.Patch {
		if !strings.HasPrefix(op.Path, path) {
			return false
		}
	}
	return true
}
