package frame

import (
	"cmp"
	"fmt"
	"math"
	"slices"
	"strings"

	"zygonos/core/facts/catalogue"
	"zygonos/core/lang/finding"
	"zygonos/core/lang/quantity"
	"zygonos/core/lang/said"
	"zygonos/core/parts"
	"zygonos/core/plan"
	"zygonos/core/rig"
	"zygonos/core/sums/section"
)

// mostSizes of the next larger sections are tried.
const mostSizes = 3

// Ways are larger sections for the member that is used most, for it alone and for all that are like it, and
// a cross member more beside it. What each adds is said; the lighter comes first.
func Ways(r *rig.Rig, f *finding.Finding) (out []finding.Way) {
	if r.Drawn != nil && f.Code == CodeVents {
		return drilled(r)
	}
	if r.Drawn == nil || f.Code != CodeStrength && f.Code != CodeCases {
		return nil
	}
	_, id, ok := strings.Cut(f.Subject, "/members/")
	at := slices.IndexFunc(r.Drawn.Bars, func(b parts.FrameBar) bool { return b.ID == id })
	if !ok || at < 0 {
		return nil
	}
	bar := &r.Drawn.Bars[at]
	path := "/trailers/" + r.Scope.Trailer + "/frame/members/"
	var all []int // members of its role and section
	for i := range r.Drawn.Bars {
		b := &r.Drawn.Bars[i]
		if b.Member.Role == bar.Member.Role && alike(b.Member.Profile, bar.Member.Profile) {
			all = append(all, i)
		}
	}
	for _, p := range larger(bar) {
		groups := [][]int{all}
		if bar.Member.Role == plan.RoleCross && len(all) > 1 { // rails and drawbars are alike on both sides
			groups = append(groups, []int{at})
		}
		for _, of := range groups {
			more := 0.0
			var patch []finding.Op
			for _, i := range of {
				b := &r.Drawn.Bars[i]
				more += weight(p, b.Length) - b.Each
				patch = append(patch, finding.Op{Op: "add", Path: path + b.ID + "/profile", Value: p})
				patch = append(patch, follow(r, path, b, p)...)
			}
			patch = once(patch)
			name := said.Say("% of %", said.Name(bar.Member.Name, "that member"), said.Piece{Text: sizes(p)})
			if len(of) > 1 {
				name = said.Say("every "+roleName(bar.Member.Role)+" of %", said.Piece{Text: sizes(p)})
			}
			name = append(name, said.Say(", % more", said.Mass(more))...)
			out = append(out, finding.Way{Variant: finding.Variant{Name: name, Patch: patch}, Effort: more})
		}
	}
	if w, ok := beside(r, path, at); ok {
		out = append(out, w)
	}
	out = append(out, plates(bar, path)...)
	slices.SortStableFunc(out, func(a, b finding.Way) int { return cmp.Compare(a.Effort, b.Effort) })
	return out
}

// drilled are the vents that the frame lacks.
func drilled(r *rig.Rig) []finding.Way {
	ops := parts.VentOps(r.Trailer.Frame, "/trailers/"+r.Scope.Trailer+"/frame/members/", "vent")
	if len(ops) == 0 {
		return nil
	}
	return []finding.Way{{
		Variant: finding.Variant{
			Name:  said.Say("drill a pair of holes near each shut end"),
			Patch: ops,
		}, Effort: 0.1,
	}}
}

// plates close a member's notches, and leave them out.
func plates(b *parts.FrameBar, path string) (out []finding.Way) {
	var closed, without []finding.Op
	for _, id := range plan.Ordered(b.Member.Cuts, func(c plan.MemberCut) int { return c.Order }) {
		if c := b.Member.Cuts[id]; c.What == plan.CutNotch {
			at := path + b.ID + "/cuts/" + id
			without = append(without, finding.Op{Op: "remove", Path: at})
			if !c.Closed && b.Member.Profile.Shape == string(section.Tube) {
				closed = append(closed, finding.Op{Op: "add", Path: at + "/closed", Value: true})
			}
		}
	}
	name := said.Name(b.Member.Name, "that member")
	if closed != nil {
		out = append(out, finding.Way{
			Variant: finding.Variant{
				Name:  said.Say("weld a plate over the notch in %", name),
				Patch: closed,
			}, Effort: 0.2,
		})
	}
	if without != nil {
		out = append(out, finding.Way{
			Variant: finding.Variant{Name: said.Say("leave % without a notch", name), Patch: without}, Effort: 0.1,
		})
	}
	return out
}

// roleName is what members of a role are called.
func roleName(r plan.Role) string {
	switch r {
	case plan.RoleRail:
		return "rail"
	case plan.RoleCross:
		return "cross member"
	case plan.RoleDrawbar:
		return "{drawbar} member"
	case plan.RoleUpright:
		return "upright"
	case plan.RoleBrace:
		return "brace"
	}
	return "member like it"
}

func alike(a, b plan.Profile) bool {
	a.PerMetre, b.PerMetre = nil, nil
	return a == b
}

// sizes are those of a section as the trade writes them.
func sizes(p plan.Profile) string {
	for _, c := range catalogue.Commons {
		if c.Shape == p.Shape && c.Height == p.Height && c.Width == p.Width && c.Wall == p.Wall {
			return c.Name
		}
	}
	mm := func(v quantity.Length) string { return fmt.Sprint(math.Round(float64(v) * 1000)) }
	return mm(p.Height) + " × " + mm(p.Width) + " × " + mm(p.Wall)
}

func weight(p plan.Profile, length float64) float64 {
	stock, _ := catalogue.StockOf(p.Material)
	s, err := section.Of(parts.SizeOf(p))
	if err != nil {
		return 0
	}
	return stock.Density * s.Area * length
}

// larger are the lightest usual sections of the same shape that are stronger both ways.
func larger(b *parts.FrameBar) (out []plan.Profile) {
	for _, c := range catalogue.Commons {
		if c.Shape != b.Member.Profile.Shape || !c.Of(b.Stock) {
			continue
		}
		p := plan.Profile{
			Shape: c.Shape, Height: c.Height, Width: c.Width, Wall: c.Wall, Lip: c.Lip, Material: b.Member.Profile.Material,
		}
		s, err := section.Of(parts.SizeOf(p))
		if err == nil && s.Wy > b.Section.Wy*1.01 && s.Wz >= b.Section.Wz*0.99 {
			out = append(out, p)
		}
	}
	slices.SortStableFunc(out, func(p, q plan.Profile) int { return cmp.Compare(weight(p, 1), weight(q, 1)) })
	return out[:min(len(out), mostSizes)]
}

// follow moves what stands in the way of a member that grows: what lies under it goes down with it.
func follow(r *rig.Rig, path string, b *parts.FrameBar, p plan.Profile) (out []finding.Op) {
	down := p.Height - b.Member.Profile.Height
	if down == 0 || math.Abs(b.Axes[0].Z) > 0.1 || b.Member.Roll != 0 {
		return nil
	}
	seen := map[int]bool{}
	for _, t := range r.Drawn.Touches {
		other := -1
		switch {
		case r.Drawn.Bars[t.A].ID == b.ID:
			other = t.B
		case r.Drawn.Bars[t.B].ID == b.ID:
			other = t.A
		}
		if other < 0 || seen[other] {
			continue
		}
		seen[other] = true
		o := &r.Drawn.Bars[other]
		under := float64(b.Member.From.Up) - b.High
		if math.Abs(float64(o.Member.From.Up)-under) > 0.002 || math.Abs(float64(o.Member.To.Up)-under) > 0.002 {
			continue
		}
		for end, at := range map[string]quantity.Length{"/from/up": o.Member.From.Up, "/to/up": o.Member.To.Up} {
			out = append(out, finding.Op{Op: "add", Path: path + o.ID + end, Value: at - down})
		}
	}
	slices.SortFunc(out, func(a, b finding.Op) int { return cmp.Compare(a.Path, b.Path) })
	return out
}

// beside puts one cross member more midway to the farther of a cross member's neighbours.
func beside(r *rig.Rig, path string, at int) (finding.Way, bool) {
	b := &r.Drawn.Bars[at]
	if b.Member.Role != plan.RoleCross {
		return finding.Way{}, false
	}
	x := b.Middle().X
	best := 0.0
	for i := range r.Drawn.Bars {
		o := &r.Drawn.Bars[i]
		if i == at || o.Member.Role != plan.RoleCross {
			continue
		}
		d := o.Middle().X - x
		between := slices.ContainsFunc(r.Drawn.Bars, func(k parts.FrameBar) bool {
			s := (k.Middle().X - x) / d
			return k.Member.Role == plan.RoleCross && s > 0.01 && s < 0.99
		})
		if !between && math.Abs(d) > math.Abs(best) {
			best = d
		}
	}
	if math.Abs(best) < 0.25 {
		return finding.Way{}, false
	}
	m := b.Member
	shift := quantity.Length(math.Round(best/2*1000) / 1000)
	m.From.Back, m.To.Back = m.From.Back+shift, m.To.Back+shift
	id := b.ID
	for n := 2; ; n++ {
		id = fmt.Sprintf("%s-%d", b.ID, n)
		if !slices.ContainsFunc(r.Drawn.Bars, func(k parts.FrameBar) bool { return k.ID == id }) {
			break
		}
	}
	m.Name, m.Order = "One more cross member", len(r.Drawn.Bars)+1
	return finding.Way{
		Variant: finding.Variant{
			Name:  said.Say("one more cross member at %, % heavier", said.Length(m.From.Back), said.Mass(b.Each)),
			Patch: []finding.Op{{Op: "add", Path: path + id, Value: m}},
		},
		Effort: b.Each,
	}, true
}
