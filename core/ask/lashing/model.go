// Package lashing answers whether what is carried stays where it is: each load with its
// straps under the chosen rules and under statics. Formulas: docs/method/lashing.md.
//
// Axes of the rig: x rearward, y to the right, z up.
package lashing

import (
	"math"
	"slices"
	"strconv"
	"strings"

	"zygonos/core/facts/norms"
	"zygonos/core/lang/finding"
	"zygonos/core/lang/quantity"
	"zygonos/core/lang/said"
	"zygonos/core/parts"
	"zygonos/core/plan"
	"zygonos/core/rig"
)

// Stage under which the findings stand.
const Stage = "tie"

// Vector is a place or a direction, m.
type Vector [3]float64

func (a Vector) minus(b Vector) Vector { return Vector{a[0] - b[0], a[1] - b[1], a[2] - b[2]} }
func (a Vector) dot(b Vector) float64  { return a[0]*b[0] + a[1]*b[1] + a[2]*b[2] }
func (a Vector) size() float64         { return math.Sqrt(a.dot(a)) }
func (a Vector) cross(b Vector) Vector {
	return Vector{a[1]*b[2] - a[2]*b[1], a[2]*b[0] - a[0]*b[2], a[0]*b[1] - a[1]*b[0]}
}

// End is a strap's way from where it leaves the load to its tie point.
type End struct {
	Hold, Point Vector
	Toward      Vector // the point, or where the strap bends over another load before it
	Along       Vector // of length one, from the load toward that
	PointID     string
}

// Tie is one lashing, resolved.
type Tie struct {
	ID    string
	Path  string
	Name  string
	Hook  string // of its ends
	Over  bool   // over the load, two ends; else one end holds the load directly
	Ends  []End
	Strap float64 // the strap's own working load limit, kg
	Limit float64 // least of that and of its tie points', kg
	Weak  string  // what that limit is of
	Pull  float64 // that its tightener leaves, kg
	Draws float64 // that a tightener of its kind can leave, kg
	Long  float64 // m of strap needed
	Has   *float64
	Guess bool    // some of Limit is by practice
	Break float64 // least breaking strength of strap and tie points, kg
	Eased float64 // what its tightener would leave, where a hull does not bear that
}

// down is how much of a pull of one presses the load, both ends together.
func (t *Tie) down() float64 {
	sum := 0.0
	for _, e := range t.Ends {
		sum += math.Max(0, -e.Along[2])
	}
	return sum
}

// Load is a load with its ties.
type Load struct {
	Item    *rig.Item
	Mass    float64
	Centre  Vector
	Grip    norms.Grip // under it
	Ties    []Tie
	Broken  []finding.Need // what some lashing lacks
	Blocked bool           // in front, by the headboard or as stated
	Blocks  [4]float64     // what stands against its front, rear, left and right face bears, kg
	NoLines bool           // practice's lines at a hull's bow and stern are not asked for
	uses    map[string]int // how many straps end at a tie point
}

// What a strap may press a hull with: 100 kg, or one and a half times its own weight, that
// it bears on its rack on every bump (practice, C).
const (
	hullPress = 100.0
	hullBears = 1.5
)

// press is what a strap may press a hull with, kg.
func (l *Load) press() float64 {
	if o := l.Item.Load; o != nil && o.Hull != nil && o.Hull.Press != nil {
		return float64(*o.Hull.Press)
	}
	return math.Max(hullPress, hullBears*l.Mass)
}

// Usual pulls of tighteners, kg (C).
var usualPull = map[plan.StrapKind]float64{
	"":                150,
	plan.StrapRatchet: 250,
	plan.StrapCam:     40,
	plan.StrapChain:   250,
	plan.StrapRope:    25,
}

// LimitOf is a strap's working load limit, kg: the tag's; else a third of its breaking
// strength, also where the tag's is over half of that, which no rule allows; else that of a chain of its
// grade and size, or of unmarked webbing of its width. how says which.
func LimitOf(s plan.Strap) (limit float64, how string) {
	switch {
	case s.Retire:
		return 0, "retired"
	case s.Limit != nil && (s.Breaks == nil || !quantity.Exceeds(float64(*s.Limit), float64(*s.Breaks)/2)):
		return float64(*s.Limit), "tag"
	case s.Breaks != nil:
		return float64(*s.Breaks) / 3, "a third of its breaking strength"
	case s.Kind == plan.StrapChain:
		return norms.Chain(s.Grade, float64(s.Width)), "grade and size"
	case s.Kind == plan.StrapRope: // no rule gives a rope's by its thickness
		return 0, "unmarked rope"
	}
	return norms.Webbing(float64(s.Width)), "unmarked webbing"
}

// PullOf is what its tightener leaves in it, kg: stated or usual, never over half of its
// limit.
func PullOf(s plan.Strap) float64 {
	limit, _ := LimitOf(s)
	pull := usualPull[s.Kind]
	if s.Pull != nil {
		pull = float64(*s.Pull)
	}
	return math.Min(pull, limit/2)
}

// barHold is what a strap looped round a rack's bar beside a hull may pull, kg (C): less
// than the bar itself takes.
const barHold = 150

// barAside is how far beside the hull it is looped, m.
const barAside = 0.03

// OnBars are the places where straps are looped round the bars of its rack beside a hull:
// on each frame left and right, named part.slot.frame.side.
func OnBars(r *rig.Rig, load string) []string {
	pl := r.Layout.Placements[load]
	part, ok := r.Plan.Parts[pl.ID]
	if pl.On != plan.OnPart || !ok || part.Rack == nil {
		return nil
	}
	if _, ok := part.Rack.Tiers[part.Slots[pl.Slot].Tier]; !ok {
		return nil
	}
	var out []string
	for i := range parts.FramesAt(part.Rack) {
		for _, side := range []string{"left", "right"} {
			out = append(out, pl.ID+"."+pl.Slot+"."+strconv.Itoa(i+1)+"."+side)
		}
	}
	return out
}

// onBar resolves one of those.
func onBar(r *rig.Rig, id string) (at Vector, ok bool) {
	w := strings.Split(id, ".")
	if len(w) != 4 {
		return at, false
	}
	part, has := r.Plan.Parts[w[0]]
	frame, err := strconv.Atoi(w[2])
	if !has || part.Rack == nil || err != nil {
		return at, false
	}
	frames := parts.FramesAt(part.Rack)
	if frame < 1 || frame > len(frames) {
		return at, false
	}
	var rack, hull *rig.Item
	for i := range r.Items {
		it := &r.Items[i]
		pl := r.Layout.Placements[it.ID]
		switch {
		case it.Part && it.ID == w[0]:
			rack = it
		case !it.Part && pl.On == plan.OnPart && pl.ID == w[0] && pl.Slot == w[1]:
			hull = it
		}
	}
	if rack == nil || hull == nil {
		return at, false
	}
	y := hull.Right + barAside
	if w[3] == "left" {
		y = hull.Left - barAside
	}
	return Vector{rack.Front + frames[frame-1], y, hull.Bottom - float64(part.Rack.Bar.Height)}, true
}

// PointName tells a tie point in words.
func PointName(r *rig.Rig, id string) string {
	if w := strings.Split(id, "."); len(w) == 4 {
		return "bar of frame " + w[2] + ", " + w[3]
	}
	return strings.ReplaceAll(id, "-", " ")
}

// point is where a tie point stands.
func point(r *rig.Rig, id string) (at Vector, ok bool) {
	if at, ok := onBar(r, id); ok {
		return at, true
	}
	t, ok := r.Trailer.TiePoints[id]
	if !ok || r.DeckFront == nil {
		return at, false
	}
	front, _ := r.Deck()
	return Vector{front + float64(t.At.Back), float64(t.At.Right), r.DeckHeight() + float64(t.At.Up)}, true
}

// holdAt is what a tie point takes of a pull along a strap; its shank is taken upright.
func holdAt(r *rig.Rig, id string, along Vector) PointHold {
	if t, ok := r.Trailer.TiePoints[id]; ok {
		return HoldOf(t, math.Acos(math.Min(1, math.Abs(along[2]))))
	}
	return PointHold{barHold, barHold, "the bar", true}
}

// shoulderNeed asks whether an eye bolt that a strap pulls aside has a shoulder; nil where that is not it.
func shoulderNeed(r *rig.Rig, t *Tie) *finding.Need {
	for _, e := range t.Ends {
		if p := r.Trailer.TiePoints[e.PointID]; p.Kind == "eye-bolt" && p.Shoulder == nil {
			return &finding.Need{
				Path:  "/trailers/" + r.Scope.Trailer + "/tiePoints/" + e.PointID + "/shoulder",
				Says:  said.Say("whether the eye bolt has a shoulder"),
				Where: said.Say("Without a collar under the eye it takes no strap that pulls at an angle."),
			}
		}
	}
	return nil
}

// Loads resolves every load with its ties. What stands on another is a load of its own
// and counts with what carries it too, mass and centre.
func Loads(r *rig.Rig) []Load {
	if r.Layout == nil {
		return nil
	}
	uses := map[string]int{}
	for _, x := range r.Layout.Lashings {
		count(uses, x)
	}
	var out []Load
	for i := range r.Items {
		it := &r.Items[i]
		if it.Part || it.Mass == nil || it.Mass.Nominal <= 0 {
			continue
		}
		pl := r.Layout.Placements[it.ID]
		body := r.Moves(i)
		l := Load{
			Item:   it,
			Mass:   body.Mass,
			Centre: Vector{body.X, body.Y, body.Z},
			Grip:   grip(r, it, pl),
			uses:   uses,
		}
		front, _ := r.Deck()
		board := r.Trailer.SideHeight != nil && *r.Trailer.SideHeight > 0 // a bed with sides has a board in front
		l.Blocked = board && it.OnDeck && it.Front-front < 0.03 && it.Front >= front-1e-6
		if b := pl.Blocked; b != nil {
			l.Blocked = l.Blocked || b.Front
			if b.Takes != nil {
				for k, on := range []bool{b.Front, b.Rear, b.Left, b.Right} {
					if on {
						l.Blocks[k] = float64(*b.Takes)
					}
				}
			}
		}
		for _, id := range plan.Ordered(r.Layout.Lashings, func(x plan.Lashing) int { return x.Order }) {
			if x := r.Layout.Lashings[id]; x.Load == it.ID {
				l.add(r, id, x)
			}
		}
		out = append(out, l)
	}
	return out
}

// grip is the friction under a load.
func grip(r *rig.Rig, it *rig.Item, pl plan.Placement) norms.Grip {
	switch {
	case pl.Grip > 0:
		return norms.Grip{Low: pl.Grip, High: pl.Grip}
	case pl.Mat:
		return norms.Grip{Low: norms.MatGrip, High: norms.MatGrip}
	}
	if s, ok := norms.SurfaceOf(pl.Surface); ok {
		return norms.Grip{Low: s.Low, High: s.High}
	}
	floor := map[plan.Floor]string{"ply": "ply", "boards": "ply", "plate": "steel", "steel": "steel", "mesh": "steel"}[r.Trailer.Floor]
	if floor == "" || pl.On == plan.OnLoad {
		floor = "steel" // the lesser
	}
	if pl.On == plan.OnPart {
		floor = "pads"
	}
	g, ok := norms.Grips[floor][it.Shape]
	if !ok {
		g = norms.Grips[floor]["box"]
	}
	return g
}

func (l *Load) add(r *rig.Rig, id string, x plan.Lashing) {
	path := r.LayoutPath("/lashings/" + id)
	need := func(field, says, where string) {
		l.Broken = append(
			l.Broken,
			finding.Need{Path: path + "/" + field, Says: said.Say(says), Where: said.Say(where)},
		)
	}
	strap, ok := r.Plan.Straps[x.Strap]
	if !ok {
		need("strap", "which strap it is", "Choose one of those you have.")
		return
	}
	it := l.Item
	t := Tie{
		ID:    id,
		Path:  path,
		Name:  strap.Name,
		Hook:  strap.Hook,
		Over:  x.To != "",
		Weak:  "strap",
		Pull:  PullOf(strap),
		Draws: usualPull[strap.Kind],
	}
	limit, how := LimitOf(strap)
	t.Strap, t.Limit, t.Guess = limit, limit, how == "unmarked webbing"
	if t.Break = 3 * limit; strap.Breaks != nil {
		t.Break = float64(*strap.Breaks)
	}
	if limit <= 0 {
		need(
			"strap",
			"what the strap takes",
			"Its tag says so; without a tag or a known width it does not count.",
		)
		return
	}
	runs, long, why := l.ends(r, x)
	if why != nil {
		l.Broken = append(
			l.Broken,
			finding.Need{Path: path + "/" + why.field, Says: why.says, Where: said.Say(why.where)},
		)
		return
	}
	t.Long = long
	for k, w := range runs {
		v := w.toward.minus(w.hold)
		n := v.size()
		id := [2]string{x.From, x.To}[k]
		at, _ := point(r, id)
		end := End{
			Hold:    w.hold,
			Toward:  w.toward,
			Point:   at,
			Along:   Vector{v[0] / n, v[1] / n, v[2] / n},
			PointID: id,
		}
		last := at.minus(w.toward) // as it comes to its point
		if w.toward == at {
			last = v
		}
		m := last.size()
		h := holdAt(r, id, Vector{last[0] / m, last[1] / m, last[2] / m})
		if h.Low /= float64(max(1, l.uses[id])); h.Low < t.Limit { // straps at one point share it alike
			t.Limit, t.Weak, t.Guess = h.Low, "tie point", h.Guess
		}
		t.Break = math.Min(t.Break, 3*h.Low)
		t.Ends = append(t.Ends, end)
	}
	if t.Limit <= 0 {
		if n := shoulderNeed(r, &t); n != nil {
			l.Broken = append(l.Broken, *n)
			return
		}
		need(
			"from",
			"what the tie point takes",
			"A stake pocket is no tie point, and neither is an eye bolt without a shoulder where a strap pulls at an angle; others have a plate, or are of a known make.",
		)
		return
	}
	t.Pull, t.Draws = math.Min(t.Pull, t.Limit/2), math.Min(t.Draws, t.Limit/2)
	if down := t.down(); it.Shape == "hull" && t.Over && down > 0 { // drawn as far as the hull bears
		if most := l.press() / down; most < t.Pull {
			t.Eased, t.Pull = t.Pull, most
		}
	}
	if strap.Length != nil {
		v := float64(*strap.Length)
		t.Has = &v
	}
	l.Ties = append(l.Ties, t)
}

// lack is what keeps a lashing from being one.
type lack struct {
	field string
	says  said.Sentence
	where string
}

// ends finds how each end of a lashing runs, and how long it is in all.
func (l *Load) ends(r *rig.Rig, x plan.Lashing) (runs []run, long float64, why *lack) {
	it := l.Item
	across := (it.Left + it.Right) / 2
	hold := Vector{it.Front + float64(x.Hold.Back), across + float64(x.Hold.Right), it.Bottom + float64(x.Hold.Up)}
	type start struct {
		id, field string
		from      Vector
	}
	starts := []start{{x.From, "from", hold}}
	if x.To != "" {
		hold[2] = it.Top
		left, right := hold, hold
		left[1], right[1] = it.Left, it.Right
		a, okA := point(r, x.From)
		b, okB := point(r, x.To)
		if okA && okB && (a[1]-across)*(b[1]-across) >= 0 {
			return nil, 0, &lack{
				"to",
				said.Say("a tie point on its other side"),
				"A strap over a load runs to its other side; on one side it holds nothing.",
			}
		}
		if okA && okB && a[1] > b[1] {
			left, right = right, left
		}
		starts = []start{{x.From, "from", left}, {x.To, "to", right}}
		long = it.Right - it.Left
		if o := blocks(r, it, Vector{hold[0], it.Left, it.Top + 2*strapRoom}, Vector{hold[0], it.Right, it.Top + 2*strapRoom}); o != nil {
			return nil, 0, &lack{
				"hold/back",
				said.Say("a clear path over it: % is in the way", said.Name(o.Name, "something")),
				"Lead it beside that, or over it.",
			}
		}
	}
	for _, s := range starts {
		at, ok := point(r, s.id)
		if !ok {
			return nil, 0, &lack{"from", said.Say("where it is hooked"), "Choose a tie point of the trailer."}
		}
		w := run{hold: s.from, toward: at, long: at.minus(s.from).size()}
		if _, tie := r.Trailer.TiePoints[s.id]; tie { // round a rack's bar the hull beside it is all there is
			var says said.Sentence
			if w, says = l.runs(r, s.from, at, x.To != ""); says != nil {
				return nil, 0, &lack{s.field, says, "Choose another tie point, or move what is in the way."}
			}
		}
		if w.toward.minus(w.hold).size() < 1e-6 {
			return nil, 0, &lack{"hold", said.Say("where it holds the load"), "Its two ends are in one place."}
		}
		runs, long = append(runs, w), long+w.long
	}
	return runs, long, nil
}

// Directions in which a load is tried, and their names.
var Directions = []struct {
	ID, Name string
	Push     Vector
	Asked    float64
}{
	{"forward", "forward", Vector{-1, 0, 0}, norms.Ask.Forward},
	{"rearward", "rearward", Vector{1, 0, 0}, norms.Ask.Rearward},
	{"left", "to the left", Vector{0, -1, 0}, norms.Ask.Sideways},
	{"right", "to the right", Vector{0, 1, 0}, norms.Ask.Sideways},
	{"up", "up", Vector{0, 0, 1}, norms.Ask.Upward},
}

// count adds a lashing's ends to how many straps end at each tie point.
func count(uses map[string]int, x plan.Lashing) {
	uses[x.From]++
	if x.To != "" {
		uses[x.To]++
	}
}

// With is a load tied by a set of lashings in place of its own, beside others that end at
// the same tie points; nil where one of them is not stated to the end or its strap is too
// short.
func With(r *rig.Rig, l *Load, set, others []plan.Lashing) *Load {
	next := *l
	next.Ties, next.Broken, next.uses = nil, nil, map[string]int{}
	for _, x := range slices.Concat(set, others) {
		count(next.uses, x)
	}
	for i, x := range set {
		next.add(r, string(rune('a'+i)), x)
	}
	if len(next.Broken) > 0 {
		return nil
	}
	for i := range next.Ties {
		if t := &next.Ties[i]; t.Has != nil && quantity.Exceeds(t.Long, *t.Has) {
			return nil
		}
	}
	return &next
}

// Satisfied reports whether a load is held: by the chosen school, by practice's number and
// kind of straps, and by statics in every direction.
func Satisfied(r *rig.Rig, l *Load) bool { return ByRule(r, l) && ByStatics(l) }

// ByRule reports whether the chosen school and practice are content.
func ByRule(r *rig.Rig, l *Load) bool {
	if !judge(norms.TieSchoolOf(r.Plan.TieSchool, r.Plan.Region).ID, l).Holds() {
		return false
	}
	if f, windy := wind(r, l, finding.Finding{}); windy && f.Outcome == finding.Fails {
		return false
	}
	f, tight := practice(r, l, finding.Finding{})
	return !tight || f.Outcome == ""
}

// ByStatics reports whether a load stays in every direction.
func ByStatics(l *Load) bool {
	for _, d := range Directions {
		if h, err := Hold(l, d.Push, l.friction()); err != nil || h.G < d.Asked*(1-1e-9) {
			return false
		}
	}
	return true
}
