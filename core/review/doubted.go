package review

import (
	"cmp"
	"fmt"
	"maps"
	"slices"
	"strings"

	"zygonos/core/facts/catalogue"
	"zygonos/core/lang/finding"
	"zygonos/core/lang/quantity"
	"zygonos/core/lang/said"
	"zygonos/core/plan"
	"zygonos/core/rig"
	"zygonos/core/sums/parallel"
)

const (
	mostDoubted  = 24 // guesses of a rig that are looked at, the roughest first …
	leastTaken   = 8  // … and of what its loads' kinds tell as many as are left of these, but so many in any case
	mostTogether = 16 // sets of guesses that are looked at together
	mostNamed    = 3  // guesses that a sentence names
	mostSoftened = 3  // lengths that nobody stated, of a check that fails on them
)

// Doubt takes back that a check holds where it fails with one guess at either end of its doubt, or with
// several at once, each at the end that is worse for it: it is tight, says which guesses and what then
// comes, and asks for them. Where a check counts a doubt itself it does not hold then anyway; this is for
// all that a check takes as it is stated. And it takes back that a check fails where it does so on lengths that
// nobody stated, its loads' kinds' usual ones, and not with other ones that are usual too. It asks all questions
// twice for each guess, so that it is done at rest. docs/method/estimates.md
func (rep *Report) Doubt() {
	if rep.rig == nil {
		return
	}
	d := newDoubts(rep.rig)
	alone := make([]answers, 2*len(d.guesses)) // with each at its low and at its high end
	parallel.Each(len(alone), func(k int) { alone[k] = d.at([]int{k}) })
	together := map[string]answers{} // by the ends that it takes
	for i := range rep.Findings {
		f := &rep.Findings[i]
		if f.Outcome == finding.Fails {
			d.soften(f, alone)
			continue
		}
		for k := 0; k < len(alone) && f.Outcome == finding.Holds; k++ {
			d.takeBack(f, []int{k}, alone[k])
		}
		if f.Outcome != finding.Holds {
			continue
		}
		for _, ends := range worseEnds(f, alone) {
			key := fmt.Sprint(ends)
			if together[key] == nil && len(together) < mostTogether {
				together[key] = d.at(ends)
			}
			if d.takeBack(f, ends, together[key]) {
				break
			}
		}
	}
	rep.weigh()
}

// DoubtIf does so where that alone can change an outcome: one that holds, and one that fails on what nobody stated.
func (rep *Report) DoubtIf(o finding.Outcome) {
	if o == finding.Holds || o == finding.Fails && rep.rig != nil && len(rig.Taken(rep.rig.Plan, inScope(rep.rig))) > 0 {
		rep.Doubt()
	}
}

// answers are the findings on a rig by their keys.
type answers map[string]*finding.Finding

// doubts are the guesses of a rig. The ends of the i-th are numbered 2i for the low one, 2i + 1 for the high one.
type doubts struct {
	rig     *rig.Rig
	within  func(path string) bool
	guesses []plan.Guess
}

func newDoubts(r *rig.Rig) *doubts {
	d := &doubts{rig: r, within: inScope(r)}
	d.guesses = d.of(r.Plan)
	return d
}

// of are the guesses of a plan that are looked at: what somebody stated first, then what its loads' kinds tell.
func (d *doubts) of(p *plan.Plan) []plan.Guess {
	told, taken := p.Guesses(d.within, plan.Rough), rig.Taken(p, d.within)
	told = told[:min(len(told), mostDoubted)]
	plan.Roughest(taken)
	return append(told, taken[:min(len(taken), max(leastTaken, mostDoubted-len(told)))]...)
}

// at are the answers with guesses at ends; none where that is no rig.
func (d *doubts) at(ends []int) answers {
	out := answers{}
	p := d.rig.Plan.Clone()
	fill(p)
	guesses := d.of(p) // of the clone: setting one leaves its path and range here as they are
	for _, k := range ends {
		if end(guesses[k/2], k) <= 0 {
			return out
		}
		guesses[k/2].Set(end(guesses[k/2], k))
	}
	if r := rig.Resolve(p, d.rig.Scope.Trailer, d.rig.Scope.Outing); r != nil {
		for _, f := range all(r) {
			out[f.Key()] = &f
		}
	}
	return out
}

// worseEnds are sets of ends that may together take what a check has left, where it has a margin: first the
// fewest that do if each takes what it takes alone, then all that take anything.
func worseEnds(f *finding.Finding, alone []answers) [][]int {
	if f.Margin == nil {
		return nil
	}
	type loss struct {
		end   int
		takes float64
	}
	var losses []loss
	sum := 0.0
	for low := 0; low < len(alone); low += 2 {
		worst := loss{}
		for k := low; k < low+2; k++ {
			if g := alone[k][f.Key()]; g != nil && g.Margin != nil && *f.Margin-*g.Margin > worst.takes {
				worst = loss{k, *f.Margin - *g.Margin}
			}
		}
		if worst.takes > 1e-9 {
			losses, sum = append(losses, worst), sum+worst.takes
		}
	}
	if len(losses) < 2 || sum < likely**f.Margin {
		return nil
	}
	slices.SortStableFunc(losses, func(a, b loss) int { return cmp.Compare(b.takes, a.takes) })
	var ends []int
	var sets [][]int
	taken := 0.0
	for i, l := range losses {
		ends, taken = append(ends, l.end), taken+l.takes
		if enough := taken >= *f.Margin; enough && len(sets) == 0 && i > 0 || i == len(losses)-1 {
			sets = append(sets, slices.Sorted(slices.Values(ends)))
		}
	}
	return sets
}

// likely is the share of a margin that guesses must take one by one for a look at them together: what they take is
// not the same when others stand at their ends.
const likely = 0.7

// takeBack makes a check that holds tight where it fails with guesses at ends, and reports whether it did.
func (d *doubts) takeBack(f *finding.Finding, ends []int, then answers) bool {
	g := then[f.Key()]
	if g == nil || g.Outcome != finding.Fails {
		return false
	}
	f.Says = slices.Concat(f.Says, said.Say(" But with "), d.ask(f, ends), said.Say(": "), g.Says)
	f.Doubted = true
	return true
}

// soften makes a check that fails tight where it does not with lengths that nobody stated at other ends of what is
// usual for their kinds: one of them, or two or three of one thing that it hangs on.
func (d *doubts) soften(f *finding.Finding, alone []answers) {
	hangs := map[string][]int{} // on these guesses, by their thing
	for k := range alone {
		if !d.guesses[k/2].Taken {
			continue
		}
		if d.takeUp(f, []int{k}, alone[k]) {
			return
		}
		thing := strings.Join(strings.Split(d.guesses[k/2].Path, "/")[:3], "/")
		g := alone[k][f.Key()]
		if on := hangs[thing]; g != nil && !alike(g.Figure, f.Figure) && !slices.Contains(on, k/2) && len(on) < mostSoftened {
			hangs[thing] = append(on, k/2)
		}
	}
	for _, thing := range slices.Sorted(maps.Keys(hangs)) {
		sets := corners(hangs[thing])
		then := make([]answers, len(sets))
		parallel.Each(len(sets), func(i int) { then[i] = d.at(sets[i]) })
		for i := range sets {
			if d.takeUp(f, sets[i], then[i]) {
				return
			}
		}
	}
}

// corners are the sets of ends of two and more of some guesses, the smallest first.
func corners(guesses []int) (sets [][]int) {
	all := [][]int{nil}
	for _, g := range guesses {
		for _, set := range slices.Clone(all) {
			all = append(all, append(slices.Clone(set), 2*g), append(slices.Clone(set), 2*g+1))
		}
	}
	for _, set := range all {
		if len(set) > 1 {
			sets = append(sets, set)
		}
	}
	slices.SortStableFunc(sets, func(a, b []int) int { return cmp.Compare(len(a), len(b)) })
	return sets
}

// takeUp makes a check that fails tight where it holds, or is tight, with guesses at ends, and reports whether it did.
// Of what it said the figure stays; the tape comes before ways out.
func (d *doubts) takeUp(f *finding.Finding, ends []int, then answers) bool {
	g := then[f.Key()]
	if g == nil || g.Outcome != finding.Holds && g.Outcome != finding.Tight {
		return false
	}
	says := f.Says.First()
	if len(says) == 0 || says[0].Text != rough {
		says = append(said.Say(rough), says...)
	}
	f.Says = slices.Concat(says, said.Say(" With "), d.ask(f, ends), said.Say(", as it may be: "), g.Says.First())
	f.Softened = true
	return true
}

// ask makes a check tight by guesses, asks for them, and names them at their ends.
func (d *doubts) ask(f *finding.Finding, ends []int) said.Sentence {
	f.Outcome, f.Tight = finding.Tight, finding.GuessTooRough
	var names []said.Sentence
	for i, k := range ends {
		g := d.guesses[k/2]
		what := d.name(g)
		if i < mostNamed {
			names = append(names, append(slices.Clone(what), said.Say(" at %", said.Of(g.Kind, end(g, k)))...))
		}
		f.Needs = append(f.Needs, finding.Need{Path: g.Path, Says: what, Where: d.where(g)})
	}
	if n := len(ends) - len(names); n > 0 {
		names = append(names, said.Say("%", said.Counted(n, "guess more", "guesses more")))
	}
	return said.List(names...)
}

// where tells how a guess is replaced.
func (d *doubts) where(g plan.Guess) said.Sentence {
	part := strings.Split(g.Path, "/")
	if strings.HasSuffix(g.Path, "/rolling/clearance") && part[1] == "loads" {
		if k, _ := catalogue.LoadOf(d.rig.Plan.Loads[part[2]].Kind); k.Rises != "" {
			return said.Say("Set its % as high as it goes, then tape it.", said.Piece{Text: k.Rises})
		}
	}
	switch {
	case g.Kind == quantity.KindMass:
		return said.Say("Weigh it.")
	case g.Taken:
		return said.Say("Tape it; the usual figure for its kind is used.")
	}
	return said.Say("Tape it.")
}

// name is what a guess is called in a sentence.
func (d *doubts) name(g plan.Guess) said.Sentence {
	if strings.HasSuffix(g.Path, "/loading/driver") {
		return said.Say("the driver's weight")
	}
	unnamed := "it"
	if strings.HasPrefix(g.Path, "/wants/") {
		unnamed = "what is wanted"
	}
	return said.Say("the "+g.Says+" of %", said.Name(nameOf(d.rig.Plan, g.Path), unnamed))
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
