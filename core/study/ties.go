package study

import (
	"cmp"
	"context"
	"fmt"
	"maps"
	"math"
	"slices"
	"strings"

	"zygonos/core/ask/lashing"
	"zygonos/core/facts/catalogue"
	"zygonos/core/facts/norms"
	"zygonos/core/lang/finding"
	"zygonos/core/lang/quantity"
	"zygonos/core/lang/said"
	"zygonos/core/parts"
	"zygonos/core/plan"
	"zygonos/core/review"
	"zygonos/core/rig"
)

// TiePlan is how an outing's loads are tied down with what there is.
type TiePlan struct {
	finding.Variant
	Says   said.Sentence     `json:"says"`
	Loads  []TiedSo          `json:"loads"`
	Others []finding.Variant `json:"others"` // as many straps, otherwise
}

// TiedSo is one load of it.
type TiedSo struct {
	Name   string        `json:"name"`
	Straps int           `json:"straps"`
	Holds  bool          `json:"holds"`
	Says   said.Sentence `json:"says"`

	short bool // there were too few straps to try every number
}

// Limits of the search.
const (
	mostTies       = 6   // of one load
	mostSums       = 400 // sets of an outing that are held against statics
	mostLacking    = 100 // sets that are held against statics to tell how many straps one load lacks
	mostCandidates = 12  // ways for a strap that are tried for one load
	ringsOfCorner  = 2   // rings that are tried for one corner of a load
	mostOthers     = 2   // other sets of as many straps that are shown
	mostBeyond     = 40  // sets that are held against statics for them, of one load
	tiltLeast      = 0.15
)

// PlanTies finds for each load, heaviest first, the fewest straps of those there are that
// hold it under the chosen school and by statics: ways for straps are listed, subsets are
// tried in order of their number. What is pinned by hand is replaced too.
func PlanTies(ctx context.Context, p *plan.Plan, q review.Request) *TiePlan {
	review.Ready(p)
	out := &TiePlan{Variant: finding.Variant{Patch: []finding.Op{}}, Loads: []TiedSo{}, Others: []finding.Variant{}}
	before := review.Again(p, q)
	r := rig.Resolve(p, before.Scope.Trailer, before.Scope.Outing)
	if out.Says = nothingToTie(p, r); out.Says != nil {
		return out
	}
	loads := slices.DeleteFunc(lashing.Loads(r), func(l lashing.Load) bool { return l.Item.Shape == "heap" })
	slices.SortStableFunc(loads, func(a, b lashing.Load) int { return cmp.Compare(b.Mass, a.Mass) })
	t, rows := tieAll(ctx, r, loads, false)
	if slices.ContainsFunc(rows, func(x TiedSo) bool { return x.short }) {
		if mats, with := tieAll(ctx, r, loads, true); mats.missing <= t.missing {
			t, rows = mats, with
		}
	}
	out.Loads = append(out.Loads, rows...)
	unknown := weightless(r)
	used := len(t.placed) - len(t.kept)
	out.Variant = finding.Variant{Name: said.Say("tie down with %", said.Counted(used, "strap", "straps")), Patch: t.patch(0)}
	if t.missing == 0 {
		out.Others = append(out.Others, t.others(p)...)
	}
	holding := said.Counted(used, "strap holds", "straps hold")
	switch {
	case t.missing > 0:
		t.lacks(ctx, loads, out.Loads)
		out.Says = said.Say("% of % loads are not held yet.", said.Count(t.missing), said.Count(len(out.Loads)))
	case len(unknown) > 0 && used == 0:
		out.Says = slices.Concat(said.Say("Not known: the weight of "), said.List(unknown...), said.Say("."))
	case len(unknown) > 0:
		out.Says = slices.Concat(
			said.Say("% everything with a known weight. Not known: the weight of ", holding),
			said.List(unknown...),
			said.Say("."),
		)
	case len(out.Loads) == 0:
		out.Says = said.Say("No strap holds loose material: put a net or tarpaulin over it, boarded off.")
	default:
		out.Says = said.Say("% all of it.", holding)
	}
	return out
}

// tieAll ties one load after the other; sparing takes an anti-slip mat wherever it saves a strap.
func tieAll(ctx context.Context, r *rig.Rig, loads []lashing.Load, sparing bool) (t *tying, rows []TiedSo) {
	t = &tying{r: r, left: map[string]int{}, sums: mostSums, sparing: sparing}
	for id, s := range r.Plan.Straps {
		t.left[id] = s.Count
	}
	t.keeps(loads)
	for i := range loads {
		if over(ctx) {
			t.sums = 0
		}
		rows = append(rows, t.hold(&loads[i]))
	}
	return t, rows
}

// weightless names the loads of which no weight is known: no strap can be planned for them.
func weightless(r *rig.Rig) (names []said.Sentence) {
	for i := range r.Items {
		if it := &r.Items[i]; !it.Part && it.Shape != "heap" && (it.Mass == nil || it.Mass.Nominal <= 0) {
			names = append(names, said.Say("%", said.Name(it.Name, "a load")))
		}
	}
	return names
}

// nothingToTie says why no straps are planned; nil where they are.
func nothingToTie(p *plan.Plan, r *rig.Rig) said.Sentence {
	switch {
	case r == nil || r.Layout == nil || len(r.Items) == 0:
		return said.Say("Nothing stands on the trailer yet.")
	case len(r.Trailer.TiePoints) == 0 && !onRacks(r):
		return said.Say("The trailer has no tie points yet: enter where its rings are.")
	case len(p.Straps) == 0:
		return said.Say("Which straps do you have? Enter kind, width or tag, and how many.")
	}
	return nil
}

// tying holds one load after the other with the straps that are left.
type tying struct {
	r       *rig.Rig
	left    map[string]int // straps of each kind
	sums    int            // balances of forces that are left
	placed  []plan.Lashing
	mats    []finding.Op
	sets    [][][]plan.Lashing // of each load that is held: the set, and others
	tied    []tiedLoad
	kept    []plan.Lashing // of what is not planned for: a heap's cover, a load without a weight
	missing int
	sparing bool // of straps: a mat wherever it saves one
}

// tiedLoad is a load that a set holds.
type tiedLoad struct {
	load *lashing.Load // as it is held: on a mat, without lines
	set  []plan.Lashing
}

// held is a set for a load, with others, and how it holds.
type held struct {
	sets    [][]plan.Lashing
	load    *lashing.Load // as they hold it
	mat     bool          // on an anti-slip mat
	noLines bool          // a hull without lines at bow and stern
	enough  bool          // there were straps for every number that was to be tried
}

// set finds a set for a load: as practice has it, else without lines at bow and stern, else with an
// anti-slip mat under it; sparing also with the mat where that takes fewer.
func (t *tying) set(l *lashing.Load, left map[string]int, sums *int) (h held) {
	h.load = l
	h.sets, h.enough = t.tieDown(l, left, sums)
	if h.sets == nil && l.Item.Shape == "hull" { // held, if not as practice has it
		on := *l
		on.NoLines = true
		if found, _ := t.tieDown(&on, left, sums); found != nil {
			return held{sets: found, load: &on, noLines: true, enough: true}
		}
	}
	if (h.sets == nil || t.sparing) && *sums > 0 && t.takesMat(l) {
		on := *l
		on.Grip = norms.Grip{Low: norms.MatGrip, High: norms.MatGrip}
		found, enough := t.tieDown(&on, left, sums)
		if h.sets == nil || found != nil && len(found[0]) < len(h.sets[0]) {
			h = held{sets: found, load: &on, mat: found != nil, enough: enough}
		}
	}
	return h
}

// hold ties a load down with the straps that are left.
func (t *tying) hold(l *lashing.Load) TiedSo {
	h := t.set(l, t.left, &t.sums)
	row := TiedSo{Name: l.Item.Name, Holds: h.sets != nil}
	if h.sets != nil {
		if h.mat {
			t.mats = append(t.mats, finding.Op{Op: "add", Path: l.Item.PlacePath + "/mat", Value: true})
		}
		t.take(h)
		row.Straps = len(h.sets[0])
		how := "%."
		switch {
		case h.mat:
			how = "% and an anti-slip mat under it."
		case h.noLines:
			how = "%; none left, or no ring, for lines at bow and stern."
		}
		row.Says = said.Say(how, said.Counted(row.Straps, "strap", "straps"))
		return row
	}
	t.missing++
	switch {
	case !h.enough:
		row.Says = said.Say("Not enough straps are left for it.")
	case t.sums <= 0:
		row.Says = said.Say("The search ended before a set was found: tie it yourself, or add rings.")
	default:
		row.Says = noSet()
	}
	row.short = !h.enough
	return row
}

// noSet says that no number of straps helps.
func noSet() said.Sentence {
	return said.Say(
		"No set of up to % straps holds it from these tie points: add rings, a mat, or stronger straps.",
		said.Count(mostTies),
	)
}

// lacks says for each load that found too few straps how many more of the strongest kind would hold it, beside all
// that is tied by then: the least number, as each smaller one was tried.
func (t *tying) lacks(ctx context.Context, loads []lashing.Load, rows []TiedSo) {
	all := map[string]int{}
	for id := range t.r.Plan.Straps {
		all[id] = 1
	}
	usable := strongest(t.r.Plan, all)
	for i := range rows {
		switch {
		case !rows[i].short || over(ctx):
			continue
		case len(usable) == 0:
			rows[i].Says = said.Say("None of the straps has a limit that is known and may still be used.")
			continue
		}
		best := usable[0]
		more, sums := maps.Clone(t.left), mostLacking
		for k := 1; k <= mostTies && sums > 0; k++ {
			more[best]++
			h := t.set(&loads[i], more, &sums)
			if h.sets == nil {
				if k == mostTies && sums > 0 {
					rows[i].Says = noSet()
				}
				continue
			}
			name := said.Name(t.r.Plan.Straps[best].Name, "the strongest kind")
			how := "Not enough straps are left for it: % more of % would hold it."
			switch {
			case h.mat:
				how = "Not enough straps are left for it: % more of % would hold it, with an anti-slip mat under it."
			case h.noLines:
				how = "Not enough straps are left for it: % more of % would hold it, without lines at bow and stern."
			}
			rows[i].Says = said.Say(how, said.Count(k), name)
			t.left = more
			t.take(h)
			break
		}
	}
}

// takesMat reports whether a mat under a load may help: it stands on the deck or another load, and
// grips less than on a mat.
func (t *tying) takesMat(l *lashing.Load) bool {
	pl := t.r.Layout.Placements[l.Item.ID]
	return l.Grip.Low < norms.MatGrip && pl.Grip == 0 && pl.On != plan.OnPart
}

// keeps leaves what is tied to nothing of these loads as it is, and its straps out of those that are left.
func (t *tying) keeps(loads []lashing.Load) {
	for _, id := range plan.Ordered(t.r.Layout.Lashings, func(x plan.Lashing) int { return x.Order }) {
		x := t.r.Layout.Lashings[id]
		_, on := t.r.Layout.Placements[x.Load]
		if !on || slices.ContainsFunc(loads, func(l lashing.Load) bool { return l.Item.ID == x.Load }) {
			continue
		}
		t.kept = append(t.kept, x)
		t.left[x.Strap] = max(0, t.left[x.Strap]-1)
	}
	t.placed = append(t.placed, t.kept...)
}

// take uses up the straps of a set.
func (t *tying) take(h held) {
	for _, x := range h.sets[0] {
		t.left[x.Strap]--
	}
	t.placed = append(t.placed, h.sets[0]...)
	t.tied = append(t.tied, tiedLoad{h.load, h.sets[0]})
	t.sets = append(t.sets, h.sets)
}

// patch is the k-th set of each load, or its first where it has no other.
func (t *tying) patch(k int) []finding.Op { return append(lashed(t.r, t.kept, t.sets, k), t.mats...) }

// others are further ways to tie all of it that hold as well.
func (t *tying) others(p *plan.Plan) []finding.Variant {
	var out []finding.Variant
	for k := 1; k <= mostOthers; k++ {
		var name said.Sentence
		for _, s := range t.sets {
			if len(s) <= k {
				continue
			}
			if name != nil {
				name = append(name, said.Piece{Text: "; "})
			}
			name = append(name, otherwise(t.r, s[k])...)
		}
		if name == nil {
			break
		}
		if v := (finding.Variant{Name: name, Patch: t.patch(k)}); stays(p, t.r, v) {
			out = append(out, v)
		}
	}
	return out
}

// lashed is the patch that ties each load by the k-th of its sets, or the last there is, beside what is kept.
func lashed(r *rig.Rig, kept []plan.Lashing, sets [][][]plan.Lashing, k int) []finding.Op {
	all := map[string]plan.Lashing{}
	add := func(some []plan.Lashing) {
		for _, x := range some {
			x.Order = len(all) + 1
			all[fmt.Sprintf("tie-%d", x.Order)] = x
		}
	}
	add(kept)
	for _, s := range sets {
		add(s[min(k, len(s)-1)])
	}
	op := "add"
	if r.Layout.Lashings != nil {
		op = "replace"
	}
	return []finding.Op{{Op: op, Path: r.LayoutPath("/lashings"), Value: all}}
}

// otherwise names another set of a load by where its straps are hooked.
func otherwise(r *rig.Rig, set []plan.Lashing) said.Sentence {
	name := "the load"
	if o, ok := r.Plan.Loads[set[0].Load]; ok && o.Name != "" {
		name = o.Name
	}
	points := make([]string, len(set))
	for i, x := range set {
		points[i] = lashing.PointName(r, x.From)
		if w := strings.Split(x.From, "."); len(w) == 4 {
			points[i] = "frame " + w[2]
		}
	}
	return said.Say("% from %", said.Piece{Name: name}, said.Piece{Text: strings.Join(points, ", ")})
}

// stays reports whether all tied loads are held with a variant, straps that share a tie
// point counted together.
func stays(p *plan.Plan, r *rig.Rig, v finding.Variant) bool {
	next, err := plan.Apply(p, v.Patch)
	if err != nil {
		return false
	}
	on := rig.Resolve(next, r.Scope.Trailer, r.Scope.Outing)
	loads := lashing.Loads(on)
	for i := range loads {
		l := &loads[i]
		if l.NoLines = true; l.Item.Shape != "heap" && len(l.Ties) > 0 && !lashing.Satisfied(on, l) {
			return false
		}
	}
	return true
}

// onRacks reports whether a load lies on a rack, where straps go round its bars.
func onRacks(r *rig.Rig) bool {
	for i := range r.Items {
		if !r.Items[i].Part && len(lashing.OnBars(r, r.Items[i].ID)) > 0 {
			return true
		}
	}
	return false
}

// tieDown gives the fewest lashings that hold a load, and other sets of as many; nil where
// none do. A corner's second ring comes in only where its first does not hold it, tie points that are
// taken only where the free ones do not. enough is false where straps ran out first. sums is how
// many sets may still be held against statics.
func (t *tying) tieDown(l *lashing.Load, left map[string]int, sums *int) (sets [][]plan.Lashing, enough bool) {
	r, taken := t.r, map[string]bool{}
	for _, x := range t.placed {
		taken[x.From], taken[x.To] = true, x.To != ""
	}
	free := func(ways []plan.Lashing) []plan.Lashing {
		return slices.DeleteFunc(
			slices.Clone(ways),
			func(x plan.Lashing) bool { return taken[x.From] || x.To != "" && taken[x.To] },
		)
	}
	straps := strongest(r.Plan, left)
	tried := 0
	usual := waysFor(r, l, 1)
	all := waysFor(r, l, ringsOfCorner)
	for _, ways := range [][]plan.Lashing{free(usual), free(all), all} {
		if len(ways) == tried { // as those before: each list holds the one before it
			continue
		}
		tried, enough = len(ways), true
		for n := 1; n <= min(mostTies, len(ways)) && sets == nil; n++ {
			if n > len(straps) {
				enough = false
				break
			}
			sets = t.ofNumber(l, ways, straps[:n], sums)
		}
		if sets != nil {
			return sets, true
		}
	}
	return nil, enough || tried == 0
}

// ofNumber gives a set of as many ways as there are straps that holds a load, and up to
// mostOthers more; nil where none does.
func (t *tying) ofNumber(l *lashing.Load, ways []plan.Lashing, straps []string, sums *int) (sets [][]plan.Lashing) {
	n := len(straps)
	pick, beyond := make([]int, n), mostBeyond
	var try func(from, k int) bool
	try = func(from, k int) bool {
		if k == n {
			set := make([]plan.Lashing, n)
			for i, w := range pick {
				set[i] = ways[w]
				set[i].Strap = straps[i]
			}
			budget := sums
			if sets != nil {
				budget = &beyond
			}
			if t.holds(l, set, budget) {
				sets = append(sets, set)
			}
			return len(sets) > mostOthers || *budget <= 0
		}
		for w := from; w <= len(ways)-(n-k); w++ {
			pick[k] = w
			if try(w+1, k+1) {
				return true
			}
		}
		return false
	}
	try(0, 0)
	// Straps far apart hold a load from turning: the widest of the sets comes first.
	slices.SortStableFunc(sets, func(a, b []plan.Lashing) int { return cmp.Compare(spread(b), spread(a)) })
	return sets
}

// spread is how far apart along a load the first and the last of its straps hold it, m;
// where some run over it, of those.
func spread(set []plan.Lashing) float64 {
	low, high := math.Inf(1), math.Inf(-1)
	over := slices.ContainsFunc(set, func(x plan.Lashing) bool { return x.To != "" })
	for _, x := range set {
		if over && x.To == "" {
			continue
		}
		low, high = math.Min(low, float64(x.Hold.Back)), math.Max(high, float64(x.Hold.Back))
	}
	return high - low
}

// strongest lists the straps that are left, one entry each, the strongest first.
func strongest(p *plan.Plan, left map[string]int) []string {
	ids := plan.Ordered(p.Straps, func(s plan.Strap) int { return s.Order })
	slices.SortStableFunc(ids, func(a, b string) int {
		x, _ := lashing.LimitOf(p.Straps[a])
		y, _ := lashing.LimitOf(p.Straps[b])
		return cmp.Compare(y, x)
	})
	var out []string
	for _, id := range ids {
		if limit, _ := lashing.LimitOf(p.Straps[id]); limit <= 0 {
			continue
		}
		for range min(left[id], mostTies) {
			out = append(out, id)
		}
	}
	return out
}

// holds reports whether a set of lashings holds a load, rules first, then every direction, and leaves
// held what was tied before and shares a ring with it.
func (t *tying) holds(l *lashing.Load, set []plan.Lashing, sums *int) bool {
	with := lashing.With(t.r, l, set, t.placed)
	if with == nil || !lashing.ByRule(t.r, with) || *sums <= 0 {
		return false
	}
	*sums--
	return lashing.ByStatics(with) && t.leaves(set, sums)
}

// leaves reports whether each load that was tied before and shares a ring with a set stays held.
func (t *tying) leaves(set []plan.Lashing, sums *int) bool {
	ends := map[string]bool{}
	for _, x := range set {
		ends[x.From], ends[x.To] = true, x.To != ""
	}
	shares := func(x plan.Lashing) bool { return ends[x.From] || x.To != "" && ends[x.To] }
	for _, before := range t.tied {
		if !slices.ContainsFunc(before.set, shares) {
			continue
		}
		others := slices.DeleteFunc(
			slices.Concat(t.placed, set),
			func(x plan.Lashing) bool { return x.Load == before.load.Item.ID },
		)
		*sums--
		if with := lashing.With(t.r, before.load, before.set, others); with == nil || !lashing.Satisfied(t.r, with) {
			return false
		}
	}
	return true
}

// lines are a hull's at bow and stern, each down to the tie point nearest below that pulls
// it back toward the trailer or out.
func lines(r *rig.Rig, l *lashing.Load) []plan.Lashing {
	it := l.Item
	front, _ := r.Deck()
	across := (it.Left + it.Right) / 2
	var out []plan.Lashing
	for _, end := range []float64{0.03, 0.97} {
		x := it.Front + end*it.Length()
		best, least := "", math.Inf(1)
		for _, id := range plan.Ordered(r.Trailer.TiePoints, func(t plan.TiePoint) int { return t.Order }) {
			at := r.Trailer.TiePoints[id].At
			along, aside := front+float64(at.Back)-x, float64(at.Right)-across
			down := it.Bottom - r.DeckHeight() - float64(at.Up)
			n := math.Sqrt(along*along + aside*aside + down*down)
			// It leans at least so much along that it holds that way.
			if n < 0.2 || math.Abs(along) < 0.25*n || n >= least {
				continue
			}
			best, least = id, n
		}
		if best != "" {
			out = append(
				out,
				plan.Lashing{
					Load: it.ID,
					From: best,
					Hold: plan.Spot{
						Back: quantity.Length(round10(end * it.Length())),
						Up:   quantity.Length(round10(0.3 * (it.Top - it.Bottom))),
					},
				},
			)
		}
	}
	return out
}

// waysFor lists ways for a strap on a load: machines from corner to tie point ahead or
// behind, as many of them as rings says; others over the load between tie points that stand
// opposite, hulls so first.
func waysFor(r *rig.Rig, l *lashing.Load, rings int) []plan.Lashing {
	it := l.Item
	front, _ := r.Deck()
	points := plan.Ordered(r.Trailer.TiePoints, func(t plan.TiePoint) int { return t.Order })
	var out []plan.Lashing
	if bars := lashing.OnBars(r, it.ID); len(bars) > 0 {
		part := r.Plan.Parts[r.Layout.Placements[it.ID].ID]
		at := 0.0
		for i := range r.Items {
			if r.Items[i].Part && r.Items[i].ID == r.Layout.Placements[it.ID].ID {
				at = r.Items[i].Front
			}
		}
		for i, x := range parts.FramesAt(part.Rack) {
			out = append(
				out,
				plan.Lashing{
					Load: it.ID,
					From: bars[2*i],
					To:   bars[2*i+1],
					Hold: plan.Spot{Back: quantity.Length(round10(at + x - it.Front))},
				},
			)
		}
		return hookable(r, l, append(out, lines(r, l)...))
	}
	over := func() {
		for i, a := range points {
			for _, b := range points[i+1:] {
				p, q := r.Trailer.TiePoints[a].At, r.Trailer.TiePoints[b].At
				if p.Right > q.Right {
					p, q = q, p
				}
				x := front + float64(p.Back)
				if math.Abs(float64(p.Back-q.Back)) > tiltLeast || p.Right > 0 || q.Right < 0 || x < it.Front-0.3 ||
					x > it.Rear+0.3 {
					continue
				}
				back := math.Min(math.Max(x-it.Front, 0.1), it.Length()-0.1)
				out = append(
					out,
					plan.Lashing{
						Load: it.ID,
						From: a,
						To:   b,
						Hold: plan.Spot{Back: quantity.Length(round10(back))},
					},
				)
			}
		}
	}
	corners := func() {
		wide, up := (it.Right-it.Left)/2*0.8, 0.3*(it.Top-it.Bottom)
		fore, aft := 0.15*it.Length(), 0.85*it.Length()
		if k, ok := catalogue.LoadOf(it.Load.Kind); ok && k.Rolls != nil {
			up = math.Max(0.2, float64(k.Rolls.Wheel)/2)
			if it.OneTrack() { // at fork and seat: lower down there is nothing beside its wheels
				wide, up, fore, aft = 0.15, 0.65*(it.Top-it.Bottom), 0.25*it.Length(), 0.7*it.Length()
			}
		}
		var others []plan.Lashing
		for _, c := range []struct{ back, right, way float64 }{{fore, -wide, -1}, {fore, wide, -1}, {aft, -wide, 1}, {aft, wide, 1}} {
			type ring struct {
				id    string
				score float64
			}
			var near []ring
			for _, id := range points {
				at := r.Trailer.TiePoints[id].At
				dx, dy := front+float64(at.Back)-(it.Front+c.back), float64(at.Right)-(it.Left+it.Right)/2-c.right
				dz := r.DeckHeight() + float64(at.Up) - (it.Bottom + up)
				n := math.Sqrt(dx*dx + dy*dy + dz*dz)
				if n < 0.15 || dx*c.way < 0 || dy*c.right < -0.3*n {
					continue
				}
				if !lashing.Runs(r, l, corner(it, id, c.back, c.right, up)) {
					continue
				}
				// Down and outward alike hold best.
				s := math.Min(dx*c.way/n, 0.8) + math.Min(math.Abs(dz)/n, 0.7) + 0.3*math.Abs(dy)/n
				near = append(near, ring{id, s})
			}
			slices.SortStableFunc(near, func(a, b ring) int { return cmp.Compare(b.score, a.score) })
			for i, x := range near[:min(len(near), rings)] {
				if way := corner(it, x.id, c.back, c.right, up); i == 0 {
					out = append(out, way)
				} else {
					others = append(others, way)
				}
			}
		}
		out = append(out, others...)
	}
	if it.Shape == "wheels" {
		corners()
	} else {
		over()
		if it.Shape == "hull" {
			out = hookable(r, l, out)
			out = append(out[:min(len(out), mostCandidates-2)], hookable(r, l, lines(r, l))...)
		} else {
			corners()
		}
	}
	out = hookable(r, l, out)
	return out[:min(len(out), mostCandidates)]
}

// corner holds a load directly at a place of it.
func corner(it *rig.Item, point string, back, right, up float64) plan.Lashing {
	return plan.Lashing{
		Load: it.ID,
		From: point,
		Hold: plan.Spot{
			Back:  quantity.Length(round10(back)),
			Right: quantity.Length(math.Round(right*100) / 100),
			Up:    quantity.Length(math.Round(up*100) / 100),
		},
	}
}

// hookable keeps the ways that can be hooked and run through nothing.
func hookable(r *rig.Rig, l *lashing.Load, ways []plan.Lashing) []plan.Lashing {
	return slices.DeleteFunc(ways, func(x plan.Lashing) bool { return !lashing.Runs(r, l, x) })
}
