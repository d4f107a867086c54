package review

import (
	"strings"

	"zygonos/core/lang/finding"
	"zygonos/core/lang/quantity"
	"zygonos/core/lang/said"
	"zygonos/core/plan"
	"zygonos/core/rig"
	"zygonos/core/sums/parallel"
)

// mostDoubted is how many guesses of a rig are looked at, the roughest first.
const mostDoubted = 24

// Doubt takes back that a check holds where it fails with one guess at either end of its doubt: it
// is tight, says which guess and what then comes, and asks for it. Where a check counts a doubt itself
// it does not hold then anyway; this is for all that a check takes as it is told. It asks all questions
// twice for each guess, so that it is done at rest.
func (rep *Report) Doubt() {
	r := rep.rig
	if r == nil {
		return
	}
	within := inScope(r)
	guesses := r.Plan.Guesses(within, plan.Rough)
	if len(guesses) > mostDoubted {
		guesses = guesses[:mostDoubted]
	}
	fails := make([]map[string]said.Sentence, 2*len(guesses)) // with each at its low and at its high end
	parallel.Each(len(fails), func(k int) {
		p := r.Plan.Clone()
		fill(p)
		g := p.Guesses(within, plan.Rough)[k/2]
		g.Set(end(g, k))
		other := rig.Resolve(p, r.Scope.Trailer, r.Scope.Outing)
		if end(g, k) <= 0 || other == nil {
			return
		}
		fails[k] = map[string]said.Sentence{}
		for _, f := range all(other) {
			if f.Outcome == finding.Fails {
				fails[k][f.Key()] = f.Says
			}
		}
	})
	for i := range rep.Findings {
		f := &rep.Findings[i]
		for k := 0; k < len(fails) && f.Outcome == finding.Holds; k++ {
			then, ok := fails[k][f.Key()]
			if !ok {
				continue
			}
			g := guesses[k/2]
			unnamed := "it"
			if strings.HasPrefix(g.Path, "/wants/") {
				unnamed = "what is wanted"
			}
			what := said.Say("the "+g.Says+" of %", said.Name(nameOf(r.Plan, g.Path), unnamed))
			f.Outcome, f.Tight, f.Doubted = finding.Tight, finding.GuessTooRough, true
			f.Says = append(append(append(append(f.Says, said.Say(" But with ")...), what...),
				said.Say(" at %: ", said.Of(g.Kind, end(g, k)))...), then...)
			where := said.Say("Tape it.")
			if g.Kind == quantity.KindMass {
				where = said.Say("Weigh it.")
			}
			f.Needs = append(f.Needs, finding.Need{Path: g.Path, Says: what, Where: where})
		}
	}
	rep.weigh()
}

// end is the k-th end to look at: even ones are low.
func end(g plan.Guess, k int) float64 {
	if k%2 == 0 {
		return g.Range.Low
	}
	return g.Range.High
}

// inScope tells of a collection's entry, by its path, whether a rig may hang on it.
func inScope(r *rig.Rig) func(path string) bool {
	on := map[string]bool{
		"/trailers/" + r.Scope.Trailer: true, "/outings/" + r.Scope.Outing: true, "/towVehicles/" + r.VehicleID: true,
	}
	for i := range r.Items {
		on[r.Items[i].Path] = true
	}
	if l := r.Layout; l != nil && l.Loading != nil {
		on["/parts/"+l.Loading.Ramp] = true
	}
	return func(path string) bool {
		part := strings.Split(path, "/")
		switch {
		case len(part) > 4 && part[1] == "outings" && part[3] == "layouts":
			return part[4] == r.Scope.Trailer
		case len(part) > 3:
			return true
		}
		switch part[1] {
		case "trailers", "outings", "towVehicles", "loads", "parts":
			return on[path]
		}
		return true
	}
}

// nameOf is the name of the thing that a path leads to.
func nameOf(p *plan.Plan, path string) string {
	part := strings.Split(path, "/")
	if len(part) < 3 {
		return ""
	}
	switch id := part[2]; part[1] {
	case "trailers":
		return p.Trailers[id].Name
	case "outings":
		return p.Outings[id].Name
	case "towVehicles":
		return p.TowVehicles[id].Name
	case "loads":
		return p.Loads[id].Name
	case "parts":
		return p.Parts[id].Name
	}
	return ""
}
