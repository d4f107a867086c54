// Package rack answers whether the racks that are on bear what lies on them:
// reactions of each hull, bars, posts, room across, height for the loader.
// Formulas: docs/method/rack.md.
package rack

import (
	"cmp"
	"errors"
	"math"
	"slices"
	"strings"

	"zygonos/core/facts/catalogue"
	"zygonos/core/facts/norms"
	"zygonos/core/lang/finding"
	"zygonos/core/lang/quantity"
	"zygonos/core/lang/said"
	"zygonos/core/parts"
	"zygonos/core/plan"
	"zygonos/core/rig"
	"zygonos/core/sums/beam"
	"zygonos/core/sums/section"
	"zygonos/core/sums/statics"
)

// Stage under which the findings stand.
const Stage = "racks"

// Codes of the findings made here.
const (
	CodeBar     = "rack.bar"
	CodeSag     = "rack.sag"
	CodePost    = "rack.post"
	CodeSupport = "rack.support"
	CodeRoom    = "rack.room"
	CodeReach   = "rack.reach"
	CodeSection = "rack.section"
	CodeTier    = "rack.tier"
	CodeFoot    = "rack.foot"
)

// Figures of practice (confidence C).
const (
	forward   = 0.8 // g
	sideways  = 0.5 // g
	reserve   = 1.5 // yield over stress, steel and aluminium
	timber    = 2.5 // bending strength over stress: damp, knots, shock
	sagShare  = 150 // span over deflection at rest; of what hangs out twice its length
	padShare  = 0.3 // of a hull's width from its middle to each line that bears
	handRoom  = 0.05
	reachMost = 1.75 // m, top tier that one person reaches
	liftEasy  = 25.0 // kg
	liftMost  = 40.0
)

// Hull is a load on a rack: what each frame bears of it.
type Hull struct {
	Item   *rig.Item
	Mass   float64 // with what rides on it, kg
	Slot   string
	Tier   string
	X      float64   // of its centre behind the ball, m
	At     float64   // … behind the part's front face, m
	Up     float64   // … above its underside, m
	Y      float64   // of its middle right of the rack's own, m
	Aside  float64   // … of its centre
	Frames []float64 // kg
	Under  []int     // the frames that lie under it
	Bears  bool      // they hold it: two or more, its centre between them
}

// Cut is a line of the cut list.
type Cut struct {
	Name    string           `json:"name"`
	Section said.Sentence    `json:"section"`
	Count   int              `json:"count"`
	Length  *finding.Measure `json:"length"`
	Mass    *finding.Measure `json:"mass"` // of all
	Holes   int              `json:"holes"`
	Cost    *finding.Measure `json:"cost,omitempty"` // of all, where a metre's price is stated
}

// Built is a rack that is on: what it is made of and weighs.
type Built struct {
	Part   string           `json:"part"` // path
	Name   string           `json:"name"`
	Mass   *finding.Measure `json:"mass"`
	Pieces []Cut            `json:"pieces"`
	Foam   *finding.Measure `json:"foam"`           // m of padding on the bars
	Cost   *finding.Measure `json:"cost,omitempty"` // of its stock, where all prices are stated
}

// Check judges the racks of a rig.
func Check(r *rig.Rig) ([]Built, []finding.Finding) {
	if r.Layout == nil {
		return nil, nil
	}
	var built []Built
	var out []finding.Finding
	for i := range r.Items {
		it := &r.Items[i]
		part := r.Plan.Parts[it.ID]
		if !it.Part || part.Rack == nil {
			continue
		}
		built = append(built, listed(it, &part))
		out = append(out, judge(r, it, &part)...)
	}
	return built, append(out, bought(r)...)
}

func listed(it *rig.Item, part *plan.Part) Built {
	b := Built{Part: it.Path, Name: part.Name, Pieces: []Cut{}}
	sum, foam, cost, priced := 0.0, 0.0, 0.0, true
	for _, m := range parts.Members(part.Rack) {
		sum += m.Mass()
		holes := 2 * m.Count
		if strings.HasPrefix(m.Name, "cross bar") {
			foam += float64(m.Count) * m.Length
			holes = m.Count * (len(parts.PostsAt(part.Rack)) + len(parts.BracesAt(part.Rack, part.Rack.Tiers[m.Tier])))
		}
		c := Cut{
			Name:    m.Name,
			Section: parts.SectionText(m.Profile),
			Count:   m.Count,
			Length:  finding.Exactly(quantity.KindLength, m.Length),
			Mass:    finding.Exactly(quantity.KindMass, m.Mass()),
			Holes:   holes,
		}
		if p := m.Profile.PerMetre; p != nil {
			v := float64(*p) * m.Length * float64(m.Count)
			cost += v
			c.Cost = finding.Exactly(quantity.KindMoney, v)
		} else {
			priced = false
		}
		b.Pieces = append(b.Pieces, c)
	}
	if priced && len(b.Pieces) > 0 {
		b.Cost = finding.Exactly(quantity.KindMoney, cost)
	}
	b.Mass, b.Foam = finding.Exactly(quantity.KindMass, sum), finding.Exactly(quantity.KindLength, foam)
	return b
}

// Hulls are the loads that lie on a rack, with what each frame bears.
func Hulls(r *rig.Rig, it *rig.Item, part *plan.Part) []Hull {
	var out []Hull
	frames, mid := parts.FramesAt(part.Rack), (it.Left+it.Right)/2
	for i := range r.Items {
		o := &r.Items[i]
		pl := r.Layout.Placements[o.ID]
		if o.Part || pl.On != plan.OnPart || pl.ID != it.ID || o.Mass == nil {
			continue
		}
		b := r.Moves(i)
		h := Hull{
			Item:  o,
			Mass:  b.Mass,
			Slot:  pl.Slot,
			Tier:  part.Slots[pl.Slot].Tier,
			X:     b.X,
			At:    b.X - it.Front,
			Up:    b.Z - o.Bottom,
			Y:     (o.Left+o.Right)/2 - mid,
			Aside: b.Y - mid,
		}
		h.stand(frames, o.Front-it.Front, o.Rear-it.Front)
		out = append(out, h)
	}
	return out
}

// stand finds the frames under a hull that lies from front to rear behind the part's face, and
// what each bears. Those beyond its ends bear nothing.
func (h *Hull) stand(frames []float64, front, rear float64) {
	var at []float64
	for i, x := range frames {
		if x >= front-1e-9 && x <= rear+1e-9 {
			h.Under, at = append(h.Under, i), append(at, x)
		}
	}
	h.Frames = make([]float64, len(frames))
	if len(at) == 0 {
		return
	}
	on, ok := statics.Bearing(h.Mass, h.At, at)
	for k, i := range h.Under {
		h.Frames[i] = on[k]
	}
	h.Bears = ok
}

// share is the least part of a hull that one of its bearing frames bears, and the first and
// the last of those.
func (h *Hull) share() (least float64, first, last int) {
	least, first, last = math.Inf(1), -1, -1
	for i, v := range h.Frames {
		if v <= 0 && h.Bears {
			continue
		}
		if first < 0 {
			first = i
		}
		last = i
		least = math.Min(least, v/math.Max(1e-9, h.Mass))
	}
	return least, first, last
}

func judge(r *rig.Rig, it *rig.Item, part *plan.Part) []finding.Finding {
	base := func(code, title string) finding.Finding {
		return finding.Finding{
			Code:    code,
			Stage:   Stage,
			Scope:   r.Scope,
			Gate:    finding.GateCut,
			Subject: it.Path,
			Title:   said.Say(title),
			Outcome: finding.Holds,
		}
	}
	rk := part.Rack
	hulls := Hulls(r, it, part)
	var out []finding.Finding
	bar, barErr := parts.Bars(rk)
	post, postErr := section.Of(parts.SizeOf(rk.Post))
	for _, e := range []struct {
		err  error
		what string
	}{{barErr, "cross bars'"}, {postErr, "posts'"}} {
		if e.err != nil {
			f := base(CodeSection, "Section")
			f.Subject += "/" + e.what
			f.Outcome, f.Says = finding.Fails, said.Say(
				"The "+e.what+" section makes no sense: "+e.err.Error()+". Enter its sizes again.",
			)
			out = append(out, f)
		}
	}
	if len(rk.Tiers) == 0 {
		f := base(CodeSection, "Tiers")
		f.Outcome, f.Says = finding.Unknown, said.Say(
			"% has no tier yet: add one.",
			said.Name(part.Name, "The rack"),
		)
		f.Needs = []finding.Need{
			{Path: it.Path + "/rack/tiers", Says: said.Say("a tier"), Where: said.Say("In the rack's own fields.")},
		}
		return append(out, f)
	}
	if len(hulls) == 0 {
		return out
	}
	for i := range hulls { // without a tier nothing can be said of bars and posts
		h := &hulls[i]
		if _, ok := rk.Tiers[h.Tier]; ok {
			continue
		}
		f := base(CodeTier, "Tier")
		f.Subject = h.Item.Path
		f.Outcome, f.Says = finding.Unknown, said.Say(
			"% is on no tier of %: choose one.",
			said.Name(h.Item.Name, "A hull"),
			said.Name(part.Name, "the rack"),
		)
		f.Needs = []finding.Need{
			{
				Path:  it.Path + "/slots/" + h.Slot + "/tier",
				Says:  said.Say("the tier of %", said.Name(h.Item.Name, "a hull")),
				Where: said.Say("In the rack's places for hulls."),
			},
		}
		return append(out, f)
	}
	out = append(
		out,
		support(base, part, hulls),
		room(base, r, it, rk, hulls),
		reach(base, r, hulls),
		lift(base, r, it, part),
	)
	if f, ok := order(base, r, hulls); ok {
		out = append(out, f)
	}
	if f, ok := aside(base, r, rk, hulls); ok {
		out = append(out, f)
	}
	braced := 0.0
	if barErr == nil {
		fs, push := bars(base, r, rk, hulls, &bar)
		out, braced = append(out, fs...), push
	}
	if postErr == nil {
		out = append(out, posts(base, rk, hulls, &post, braced*r.Shock(), r.Shock()))
	}
	if f, ok := slide(base, r, rk, hulls); ok {
		out = append(out, f)
	}
	out = append(out, under(base, it, rk, hulls)...)
	if f, ok := joined(base, rk, hulls, r.Shock(), it.Path); ok {
		out = append(out, f)
	}
	if rk.Foot == plan.FootBolted {
		out = append(out, foot(base, rk, hulls, r.Shock(), it.Path))
	}
	return out
}

// How a hull lies well on frames (practice, C): the least share that one bears, and their distance in its lengths.
const (
	leastShare = 0.2
	leastApart = 0.40
	mostApart  = 0.65
)

// lies ranks how a hull lies, the worst first: it tips off, one frame bears next to nothing, they stand too
// near each other or too far apart, by how little the one that bears least does.
func (h *Hull) lies(frames []float64) float64 {
	share, first, last := h.share()
	share = math.Round(math.Min(share, 1)*1e6) / 1e6 // infinite where no frame bears it
	apart := 0.0
	if first >= 0 {
		apart = (frames[last] - frames[first]) / h.Item.Length()
	}
	switch {
	case !h.Bears || len(h.Under) < 2:
		return share - 30
	case share < leastShare:
		return share - 20
	case apart < leastApart || apart > mostApart:
		return share - 10
	}
	return share
}

// support tells how each hull lies on the frames.
func support(base func(string, string) finding.Finding, part *plan.Part, hulls []Hull) finding.Finding {
	f := base(CodeSupport, "How hulls lie")
	f.Source = norms.Practice("frames 40 to 65 % of the hull's length apart")
	frames := parts.FramesAt(part.Rack)
	worst := &hulls[0]
	for i := range hulls {
		if hulls[i].lies(frames) < worst.lies(frames) ||
			hulls[i].lies(frames) == worst.lies(frames) && hulls[i].Mass > worst.Mass {
			worst = &hulls[i]
		}
	}
	name := said.Name(worst.Item.Name, "a hull")
	share, first, last := worst.share()
	least, most, spacing := 0.0, 0.0, 0.0
	if first >= 0 {
		least, most = math.Min(worst.Frames[first], worst.Frames[last]), slices.Max(worst.Frames)
		spacing = frames[last] - frames[first]
	}
	f.Figure, f.Limit = finding.Exactly(quantity.KindMass, least), finding.Exactly(quantity.KindMass, 0.0)
	apart := spacing / worst.Item.Length()
	switch {
	case len(frames) < 2:
		f.Outcome, f.Says = finding.Fails, said.Say("One frame does not hold %: it needs two.", name)
	case len(worst.Under) < 2:
		f.Outcome, f.Says = finding.Fails, said.Say(
			"% is % long and reaches only % of % frames: it needs two. Move the frames closer together, or add a frame midway.",
			name,
			said.Length(worst.Item.Length()),
			said.Count(len(worst.Under)),
			said.Count(len(frames)),
		)
	case !worst.Bears:
		f.Outcome, f.Says = finding.Fails, said.Say(
			"% tips off: its weight is beyond the frames. Slide it, or spread the frames.",
			name,
		)
	case share < leastShare:
		f.Outcome, f.Tight, f.Says = finding.Tight, finding.LittleRoom, said.Say(
			"% puts % on one frame and % on the other. Slide it toward the middle.",
			name,
			said.Mass(most),
			said.Mass(least),
		)
	case apart < leastApart || apart > mostApart:
		f.Outcome, f.Tight = finding.Tight, finding.LittleRoom
		f.Says = said.Say(
			"Frames % apart are % of the length of %; % to % supports hulls well.",
			said.Length(spacing),
			said.Share(apart),
			name,
			said.Share(leastApart),
			said.Share(mostApart),
		)
	default:
		f.Says = said.Say(
			"Frames % apart carry % and % of %.",
			said.Length(spacing),
			said.Mass(worst.Frames[first]),
			said.Mass(worst.Frames[last]),
			name,
		)
	}
	f.Says = append(f.Says, said.Say(" Soft hulls dent on narrow bars in the heat: pad them wide.")...)
	f.HasWork, f.Work = true, func() []finding.Step {
		return []finding.Step{
			{
				Symbol:  "R",
				Says:    said.Say("the frame that carries least of %", name),
				Formula: "R_i = m·(1/n + (c − x̄)(x_i − x̄)/Σ(x − x̄)²)",
				Result:  f.Figure,
				Terms: []finding.StepTerm{
					{
						Symbol:  "m",
						Says:    said.Say("the hull"),
						Measure: finding.Exactly(quantity.KindMass, worst.Mass),
						How:     "stated",
						Path:    worst.Item.Path + "/mass",
					},
					{
						Symbol:  "c",
						Says:    said.Say("its centre behind the rack's front"),
						Measure: finding.Exactly(quantity.KindLength, worst.At),
						How:     "computed",
					}},
			},
		}
	}
	return f
}

// room tells whether hulls of one tier lie beside each other, tiers clear, and no
// post stands in a load.
func room(
	base func(string, string) finding.Finding,
	r *rig.Rig,
	it *rig.Item,
	rk *plan.Rack,
	hulls []Hull,
) finding.Finding {
	f := base(CodeRoom, "Room between hulls")
	f.Source = norms.Practice("50 mm for the hand and the strap")
	if name, by := inPosts(r, it, rk); by > 0 {
		f.Figure, f.Limit = finding.Exactly(
			quantity.KindLength,
			-by,
		), finding.Exactly(
			quantity.KindLength,
			handRoom,
		)
		f.Outcome, f.Says = finding.Fails, said.Say(
			"A post stands % inside %. Move the posts farther apart, or put a narrower hull there.",
			said.Length(by),
			said.Name(name, "a load"),
		)
		return f
	}
	least := math.Inf(1)
	var a, b *rig.Item
	for i := range hulls {
		for k := range r.Items { // other hulls, and what stands on the deck
			p, q := hulls[i].Item, &r.Items[k]
			if p == q || q.Open || q.Part || p.Front >= q.Rear || q.Front >= p.Rear ||
				r.Layout.Placements[q.ID].ID == p.ID {
				continue
			}
			aside := max(p.Left-q.Right, q.Left-p.Right)
			over := max(p.Bottom-q.Top, q.Bottom-p.Top)
			if gap := max(aside, over); gap < least {
				least, a, b = gap, p, q
			}
		}
	}
	if name, tier, by := inBars(r, it, rk); by > 0 && by > -least {
		f.Figure, f.Limit = finding.Exactly(
			quantity.KindLength,
			-by,
		), finding.Exactly(
			quantity.KindLength,
			handRoom,
		)
		f.Outcome, f.Says = finding.Fails, said.Say(
			"A bar of tier % runs % into %. Raise the tier, or lay it elsewhere.",
			said.Name(tier, "another"),
			said.Length(by),
			said.Name(name, "a load"),
		)
		return f
	}
	if a == nil {
		f.Says = said.Say("Nothing lies beside it.")
		return f
	}
	f.Figure, f.Limit = finding.Exactly(quantity.KindLength, least), finding.Exactly(quantity.KindLength, handRoom)
	first, second := said.Name(a.Name, "one hull"), said.Name(b.Name, "another")
	switch {
	case least < -1e-9:
		f.Outcome, f.Says = finding.Fails, said.Say(
			"% and % overlap by %. Spread the slots or raise the tier.",
			first,
			second,
			said.Length(-least),
		)
	case least < handRoom-1e-9:
		f.Outcome, f.Tight, f.Says = finding.Tight, finding.LittleRoom, said.Say(
			"Only % between % and %.",
			said.Length(least),
			first,
			second,
		)
	default:
		f.Says = said.Say("% between % and %.", said.Length(least), first, second)
	}
	return f
}

// inBars finds the load that a bar of a tier runs through deepest, in height: of every tier
// but the one that it lies on.
func inBars(r *rig.Rig, it *rig.Item, rk *plan.Rack) (name, tier string, by float64) {
	mid, part := (it.Left+it.Right)/2, r.Plan.Parts[it.ID]
	wide := float64(max(rk.Bar.Width, rk.Bar.Height)) / 2
	for i := range r.Items {
		o := &r.Items[i]
		if o.Open || o.Part {
			continue
		}
		own := ""
		if pl := r.Layout.Placements[o.ID]; pl.On == plan.OnPart && pl.ID == it.ID {
			own = part.Slots[pl.Slot].Tier
		}
		for _, id := range plan.Ordered(rk.Tiers, func(t plan.Tier) int { return t.Order }) {
			t := rk.Tiers[id]
			top, half := it.Bottom+float64(t.Up), float64(t.Length)/2
			deep := min(top, o.Top) - max(top-float64(rk.Bar.Height), o.Bottom)
			if id == own || deep < by+1e-6 || o.Right <= mid-half+1e-6 || o.Left >= mid+half-1e-6 {
				continue
			}
			for _, x := range parts.FramesAt(rk) {
				if x += it.Front; x+wide > o.Front+1e-6 && x-wide < o.Rear-1e-6 {
					name, tier, by = o.Name, id, deep
				}
			}
		}
	}
	return name, tier, by
}

// inPosts finds the load that a post stands in deepest, across.
func inPosts(r *rig.Rig, it *rig.Item, rk *plan.Rack) (name string, by float64) {
	top, mid := 0.0, (it.Left+it.Right)/2
	for _, t := range rk.Tiers {
		top = max(top, it.Bottom+float64(t.Up-rk.Bar.Height))
	}
	half := float64(max(rk.Post.Width, rk.Post.Height)) / 2
	for i := range r.Items {
		o := &r.Items[i]
		if o.Open || o.Part || o.Bottom >= top-1e-9 {
			continue
		}
		for _, x := range parts.FramesAt(rk) {
			if x += it.Front; x+half <= o.Front || x-half >= o.Rear {
				continue
			}
			for _, y := range parts.PostsAt(rk) {
				if deep := min(mid+y+half-o.Left, o.Right-(mid+y-half)); deep > by+1e-9 {
					name, by = o.Name, deep
				}
			}
		}
	}
	return name, by
}

// reach is whether one person can load it: half the mass at the first lift, bow
// up with the stern on the ground, then the slide.
func reach(base func(string, string) finding.Finding, r *rig.Rig, hulls []Hull) finding.Finding {
	f := base(CodeReach, "Loading it alone")
	f.Gate = ""
	f.Source = norms.Practice("25 kg easy, 40 kg at most, bars up to 1.75 m")
	top := slices.MaxFunc(hulls, func(a, b Hull) int { return cmp.Compare(a.Item.Bottom, b.Item.Bottom) })
	heavy := slices.MaxFunc(hulls, func(a, b Hull) int { return cmp.Compare(a.Mass, b.Mass) })
	lift := heavy.Mass / 2
	f.Figure, f.Limit = finding.Exactly(
		quantity.KindLength,
		top.Item.Bottom,
	), finding.Exactly(
		quantity.KindLength,
		reachMost,
	)
	f.Says = said.Say(
		"Highest bar % up, first lift % (half of %).",
		said.Length(top.Item.Bottom),
		said.Mass(lift),
		said.Name(heavy.Item.Name, "a hull"),
	)
	switch {
	case lift > liftMost || top.Item.Bottom > reachMost && top.Mass/2 > liftEasy:
		f.Outcome, f.Tight = finding.Tight, finding.LittleRoom
		f.Says = append(f.Says, said.Say(" Use two people, or a loading bar.")...)
	case top.Item.Bottom > reachMost || lift > liftEasy:
		f.Outcome, f.Tight = finding.Tight, finding.LittleRoom
		f.Says = append(f.Says, said.Say(" One person can do it, with a step and care.")...)
	}
	f.Says = append(f.Says, said.Say(" Load from the bottom up, unload from the top down, hitched or propped.")...)
	return f
}

// bars solves each cross bar as a beam on its posts and braces; push is the most that
// a brace bears at rest, N.
func bars(
	base func(string, string) finding.Finding,
	r *rig.Rig,
	rk *plan.Rack,
	hulls []Hull,
	s *section.Properties,
) (out []finding.Finding, push float64) {
	f, sag := base(CodeBar, "Cross bars"), base(CodeSag, "Sag of the bars")
	stock, _ := catalogue.StockOf(rk.Bar.Material)
	w, i := s.Weak(rk.Held)
	allowed, safety := stock.Yield/reserve, reserve
	if stock.Timber {
		allowed, safety = stock.Yield/timber, timber
	}
	frames := parts.FramesAt(rk)
	own := s.Area * stock.Density * quantity.Gravity
	type worst struct {
		moment float64
		sag    beam.Span // that takes most of what its length may sag
		tier   string
	}
	var m worst
	loose := ""
	for _, tier := range plan.Ordered(rk.Tiers, func(t plan.Tier) int { return t.Order }) {
		l := float64(rk.Tiers[tier].Length)
		for k := range frames {
			b := beam.Beam{Length: l, Stiffness: stock.Modulus * i, Spread: own}
			for _, y := range parts.PostsAt(rk) {
				b.Supports = append(b.Supports, beam.Support{At: l/2 + y, Fixed: rk.Posts == 1})
			}
			for _, y := range parts.BracesAt(rk, rk.Tiers[tier]) {
				b.Supports = append(b.Supports, beam.Support{At: l/2 + y})
			}
			for _, h := range hulls {
				if h.Tier != tier {
					continue
				}
				half := padShare * (h.Item.Right - h.Item.Left)
				for _, y := range []float64{h.Y - half, h.Y + half} {
					at := l/2 + y
					if at < -1e-6 || at > l+1e-6 {
						loose = h.Item.Name
					}
					b.Loads = append(
						b.Loads,
						beam.Load{At: min(max(at, 0), l), Force: h.Frames[k] * quantity.Gravity / 2},
					)
				}
			}
			res, err := b.Solve()
			if err == nil && math.Abs(res.Deflection) > l/10 { // no beam of this theory any more
				err = beam.ErrSense
			}
			if err != nil {
				f.Outcome, f.Says = finding.Fails, said.Say(
					"A bar of tier % cannot work: "+err.Error()+".",
					said.Name(tier, "one"),
				)
				if errors.Is(err, beam.ErrSense) {
					f.Outcome, f.Says = finding.Unknown, said.Say(
						"Whether the bars of tier % hold is not known: "+err.Error()+".",
						said.Name(tier, "one"),
					)
					f.Needs = []finding.Need{
						{
							Path:  f.Subject + "/rack/bar/height",
							Says:  said.Say("the bars' section"),
							Where: said.Say("Measure height, width and wall again, and where the posts stand."),
						},
					}
				}
				return []finding.Finding{f}, 0
			}
			for _, v := range res.Reactions[len(parts.PostsAt(rk)):] {
				push = max(push, v)
			}
			if math.Abs(res.Moment) > m.moment || m.tier == "" {
				m.moment, m.tier = math.Abs(res.Moment), tier
			}
			for _, s := range res.Spans {
				if math.Abs(s.Deflection)*m.sag.Length() > math.Abs(m.sag.Deflection)*s.Length() ||
					m.sag.Length() == 0 {
					m.sag = s
				}
			}
		}
	}
	k := r.Shock()
	stress := k * m.moment / w
	f.AtMost(quantity.KindStress, stress, allowed)
	f.Source = norms.Practice(
		"twice the weight on the road, three times on a track; reserve 1.5 on yield, 2.5 on timber",
	)
	f.Says = said.Say(
		"The cross bars are loaded to % of what % allows, with a shock factor of %.",
		said.Share(stress/allowed),
		said.Piece{Text: stock.Name},
		said.Count(int(k)),
	)
	if f.Outcome == finding.Fails {
		f.Says = append(f.Says, said.Say(" Use the next section up, or a mid post.")...)
	}
	parts.Unsure(&f, rk.Bar)
	warm(&f, stock, stress, allowed)
	if rk.Insert != nil && !parts.SlidesIn(*rk.Insert, rk.Bar) {
		f.Outcome = finding.Fails
		f.Says = append(f.Says, said.Say(" What should slide into the bars does not go in: leave it out, or use a smaller one.")...)
	}
	if s.FreeBendsAside && !rk.Held {
		f.Says = append(f.Says, said.Say(" The angle is not held, so it bends about its weak axis.")...)
	}
	if loose != "" {
		f.Outcome = finding.Fails
		f.Says = append(f.Says, said.Say(" % reaches beyond the bar.", said.Name(loose, "A hull"))...)
	}
	f.HasWork, f.Work = true, func() []finding.Step {
		return []finding.Step{
			{
				Symbol:  "σ",
				Says:    said.Say("greatest stress, tier %", said.Name(m.tier, "one")),
				Formula: "σ = k·M/W, against R/" + map[bool]string{true: "2.5", false: "1.5"}[safety == timber],
				Result:  f.Figure,
				Source:  f.Source,
				Terms: []finding.StepTerm{
					{
						Symbol:  "k",
						Says:    said.Say("shock"),
						Measure: finding.Exactly(quantity.KindCount, k),
						How:     "rule followed",
					},
					{
						Symbol:  "M",
						Says:    said.Say("bending moment at rest, as a weight on one metre"),
						Measure: finding.Exactly(quantity.KindMass, m.moment/quantity.Gravity),
						How:     "computed",
					},
					{
						Symbol: "R",
						Says: said.Say(
							"strength of % (%)",
							said.Piece{Text: stock.Name},
							said.Piece{Text: stock.Source},
						),
						Measure: finding.Exactly(quantity.KindStress, stock.Yield),
						How:     "plate",
					}},
			},
		}
	}
	allowedSag, deflection := m.sag.Length()/sagShare, math.Abs(m.sag.Deflection)
	sag.Gate = ""
	sag.Figure, sag.Limit = finding.Exactly(
		quantity.KindLength,
		deflection,
	), finding.Exactly(
		quantity.KindLength,
		allowedSag,
	)
	sag.Source = norms.Practice("span over 150 at rest")
	sag.Says = said.Say("The bars sag % on a span of % at rest.", said.Length(deflection), said.Length(m.sag.Length()))
	if stock.Warm > 0 && deflection <= allowedSag && deflection/stock.Warm > allowedSag {
		sag.Outcome, sag.Tight = finding.Tight, finding.GuessTooRough
		sag.Says = append(sag.Says, said.Say(" In the sun it is %.", said.Length(deflection/stock.Warm))...)
	}
	if deflection > allowedSag {
		sag.Outcome, sag.Tight = finding.Tight, finding.LittleRoom
		sag.Says = append(
			sag.Says,
			said.Say(" More than %: use the next section up, or a mid post.", said.Length(allowedSag))...)
	}
	return []finding.Finding{f, sag}, push
}

// warm marks what holds only while plastic is cool: in the sun a share of it is left.
func warm(f *finding.Finding, stock catalogue.Stock, stress, allowed float64) {
	if stock.Warm <= 0 || f.Outcome == finding.Fails || f.Outcome == finding.Unknown {
		return
	}
	hot := quantity.Range[float64]{Nominal: stress, Low: stress, High: stress / stock.Warm}
	if f.Outcome, f.Tight = finding.Under(hot, allowed, finding.Reserve); f.Tight == finding.GuessTooRough {
		f.Says = append(f.Says, said.Say(" Warm in the sun it has % of its strength left: too little.", said.Share(stock.Warm))...)
	}
}

// arms is Σ m·h of all that a rack carries and is, kg·m, and how many posts share it.
func arms(rk *plan.Rack, hulls []Hull) (arm, posts float64) {
	for _, h := range hulls {
		arm += h.Mass * float64(rk.Tiers[h.Tier].Up)
	}
	return arm + ownArm(rk), float64(len(parts.FramesAt(rk)) * len(parts.PostsAt(rk)))
}

// ownArm is Σ m·h of the rack's own members, kg·m.
func ownArm(rk *plan.Rack) (arm float64) {
	for _, m := range parts.Members(rk) {
		arm += m.Mass() * m.Up
	}
	return arm
}

// busiest is the most that a post of one frame bears across, kg·m: sideways what its frame
// bears of the hulls at their tiers' height and its part of the rack, shared by its posts,
// with slant at rest what lies beside a single one. A single post bears the hulls' own height
// over their bars too.
func busiest(rk *plan.Rack, hulls []Hull) (sideway, slant float64) {
	frames, posts := len(parts.FramesAt(rk)), float64(len(parts.PostsAt(rk)))
	own, most := ownArm(rk)/float64(frames), math.Inf(-1)
	for k := range frames {
		across, aside := own, 0.0
		for _, h := range hulls {
			up := float64(rk.Tiers[h.Tier].Up)
			if rk.Posts == 1 {
				up += h.Up
				aside += h.Frames[k] * h.Aside
			}
			across += h.Frames[k] * up
		}
		if m := sideways*across/posts + math.Abs(aside); m > most {
			most, sideway, slant = m, across/posts, math.Abs(aside)
		}
	}
	return sideway, slant
}

// aslant is what the hulls on a single post's arms bend it with across at rest, kg·m, at its
// busiest frame: all of them, and those of one side alone, as they are while one loads.
func aslant(rk *plan.Rack, hulls []Hull) (all, oneSide float64) {
	if rk.Posts != 1 {
		return 0, 0
	}
	for k := range parts.FramesAt(rk) {
		left, right := 0.0, 0.0
		for _, h := range hulls {
			if h.Aside < 0 {
				left -= h.Frames[k] * h.Aside
			} else {
				right += h.Frames[k] * h.Aside
			}
		}
		all, oneSide = max(all, math.Abs(right-left)), max(oneSide, left, right)
	}
	return all, oneSide
}

// A bend is a moment on a post, N·m.
type bend struct {
	moment float64
	across bool // else along the trailer
	when   string
}

// atFoot are the moments at a post's foot. Braking bends all posts alike, as the hulls tie the
// frames together: M = g·Σ m·a·h/n. Sideways each frame's posts bear what that frame does.
func atFoot(rk *plan.Rack, hulls []Hull, shock float64) []bend {
	arm, count := arms(rk, hulls)
	sideway, slant := busiest(rk, hulls)
	all, oneSide := aslant(rk, hulls)
	return []bend{
		{forward * arm / count * quantity.Gravity, false, "when braking hard"},
		{(sideways*sideway + slant) * quantity.Gravity, true, "in a hard bend"},
		{shock * all * quantity.Gravity, true, "on a bump, loaded aslant"},
		{oneSide * quantity.Gravity, true, "with one side loaded"},
	}
}

// posts are cantilevers out of their feet. A brace that bears push (N, shocks counted) bends
// its post across by at most push·leg, as at 45° it pushes aside as hard as it bears.
func posts(
	base func(string, string) finding.Finding,
	rk *plan.Rack,
	hulls []Hull,
	s *section.Properties,
	push, shock float64,
) finding.Finding {
	f := base(CodePost, "Posts")
	stock, _ := catalogue.StockOf(rk.Post.Material)
	// Braking bends them along the trailer, a bend across: the section stands with its
	// height along.
	wy, wz := s.Wy, s.Wz
	if s.FreeBendsAside && !rk.Held {
		wy, wz = s.WMinor, s.WMinor
	}
	stress, worst := 0.0, bend{}
	for _, b := range append(atFoot(rk, hulls, shock), bend{push * float64(rk.Brace), true, "by their braces"}) {
		w := wy
		if b.across {
			w = wz
		}
		if b.moment/w > stress {
			stress, worst = b.moment/w, b
		}
	}
	yield, safety := stock.Yield, reserve
	if stock.Timber {
		safety = timber
	}
	if rk.Foot == plan.FootWelded && stock.Weld > 0 {
		yield *= stock.Weld
	}
	allowed := yield / safety
	f.AtMost(quantity.KindStress, stress, allowed)
	f.Source = norms.Practice("0.8 g forward, 0.5 g sideways; reserve 1.5 on yield, 2.5 on timber")
	f.Says = said.Say(
		"The posts are loaded to % at their feet "+worst.when+": % on an arm of % each.",
		said.Share(stress/allowed),
		said.Mass(worst.moment/quantity.Gravity),
		said.Length(1.0),
	)
	if f.Outcome == finding.Fails {
		f.Says = append(f.Says, said.Say(" Use stronger posts, or a brace at 45°.")...)
	}
	parts.Unsure(&f, rk.Post)
	warm(&f, stock, stress, allowed)
	switch rk.Foot {
	case plan.FootPocket:
		f.Says = append(f.Says, said.Say(" The pocket must take that too: sheet-metal pockets often do not.")...)
	case plan.FootWelded:
		f.Says = append(f.Says, said.Say(" Have a competent welder make the weld for that.")...)
	}
	f.HasWork, f.Work = true, func() []finding.Step {
		arm, count := arms(rk, hulls)
		all, oneSide := aslant(rk, hulls)
		sideway, _ := busiest(rk, hulls)
		return []finding.Step{
			{
				Symbol:  "σ",
				Says:    said.Say("stress at a post's foot"),
				Formula: "σ = max(0.8·M/W_y, (0.5·M_f + S)/W_z, k·S/W_z, S₁/W_z, V·leg/W_z),  M = g·Σ m·h/n,  M_f of the busiest frame's posts",
				Result:  f.Figure,
				Source:  f.Source,
				Terms: []finding.StepTerm{
					{
						Symbol:  "Σm·h",
						Says:    said.Say("all on it, as a weight on one metre"),
						Measure: finding.Exactly(quantity.KindMass, arm),
						How:     "computed",
					},
					{
						Symbol:  "M_f/g",
						Says:    said.Say("on each post of the busiest frame"),
						Measure: finding.Exactly(quantity.KindMass, sideway),
						How:     "computed",
					},
					{
						Symbol:  "S",
						Says:    said.Say("aslant on a single post, as a weight on one metre"),
						Measure: finding.Exactly(quantity.KindMass, all),
						How:     "computed",
					},
					{
						Symbol:  "S₁",
						Says:    said.Say("one side alone"),
						Measure: finding.Exactly(quantity.KindMass, oneSide),
						How:     "computed",
					},
					{
						Symbol:  "n",
						Says:    said.Say("posts"),
						Measure: finding.Exactly(quantity.KindCount, count),
						How:     "stated",
					}},
			},
		}
	}
	return f
}
