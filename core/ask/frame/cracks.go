package frame

import (
	"cmp"
	"math"
	"slices"

	"zygonos/core/facts/catalogue"
	"zygonos/core/lang/finding"
	"zygonos/core/lang/quantity"
	"zygonos/core/lang/said"
	"zygonos/core/parts"
	"zygonos/core/plan"
)

// Crack is a welded place with what bumps move there, for comparison: where cracks begin first.
type Crack struct {
	Path   string          `json:"path"` // of the member
	Name   string          `json:"name"`
	At     finding.Measure `json:"at"`    // from its beginning
	Range  finding.Measure `json:"range"` // of stress, from mild to hard bumps
	Class  finding.Measure `json:"class"` // that the detail takes two million times
	Share  finding.Measure `json:"share"` // range over class
	Detail string          `json:"detail"`
}

// Ranges of bumps (C): ±0.5 to ±1.0 g about the weight, ±0.75 in the middle.
var bumpRange = quantity.Range[float64]{Nominal: 1.5, Low: 1.0, High: 2.0}

// Classes of EN 1993-1-9, table 8.4 and 8.5, Pa: stress range at two million.
const (
	classAlong = 71e6 // something welded across a member, up to 80 mm
	classEnd   = 36e6 // a member's own fillet-welded end
	mostCracks = 4
)

// cracks lists the welded places of steel members by how hard bumps work them, worst first; one for each
// member.
func (j *judged) cracks() []Crack {
	var out []Crack
	still := j.answers[0]
	if still.id != level.id {
		return nil
	}
	for i := range j.m.bars {
		b := &j.m.bars[i]
		if b.Stock.Timber || b.Stock.Weld < 1 { // aluminium and what is not welded: not known here
			continue
		}
		var worst *Crack
		for _, p := range j.m.places[i] {
			if !p.weld {
				continue
			}
			class, detail := classAlong, "something is welded across it"
			if p.at <= merge || p.at >= b.Length-merge {
				class, detail = classEnd, "its own welded end"
			}
			stress := j.m.normal(still, i, p.at)
			share := stress * bumpRange.Nominal / class
			if worst != nil && share <= worst.Share.Value {
				continue
			}
			of := quantity.Range[float64]{
				Nominal: stress * bumpRange.Nominal, Low: stress * bumpRange.Low, High: stress * bumpRange.High,
			}
			r, c, s, at := finding.Of(quantity.KindStress, of), finding.Exactly(quantity.KindStress, class),
				finding.Exactly(quantity.KindShare, share), finding.Exactly(quantity.KindLength, p.at)
			if r == nil || s == nil {
				continue
			}
			worst = &Crack{j.path(i), b.Member.Name, *at, *r, *c, *s, detail}
		}
		if worst != nil {
			out = append(out, *worst)
		}
	}
	slices.SortStableFunc(out, func(a, b Crack) int { return cmp.Compare(b.Share.Value, a.Share.Value) })
	return out[:min(len(out), mostCracks)]
}

// wearUnknown are members of aluminium that are welded: EN 1999-1-3 asks for details that a drawing of bars
// does not tell.
func (j *judged) wearUnknown() (out []string) {
	for i := range j.m.bars {
		b := &j.m.bars[i]
		if b.Stock.Timber || b.Stock.Weld == 0 || b.Stock.Weld >= 1 {
			continue
		}
		if slices.ContainsFunc(j.m.places[i], func(p place) bool { return p.weld }) {
			out = append(out, b.Member.Name)
		}
	}
	return out
}

// normal is the stress along a bar at a place, Pa: pull and both bendings, on whichever side of it is worse.
func (m *model) normal(a *answer, bar int, at float64) (most float64) {
	b := &m.bars[bar]
	for e, p := range m.pieces {
		if p.bar != bar || at < p.from-1e-9 || at > p.to+1e-9 {
			continue
		}
		in := a.s.At(e, at-p.from, false)
		most = math.Max(
			most,
			math.Abs(in.N)/b.Section.Area+math.Abs(in.My)/b.Section.Wy+math.Abs(in.Mz)/b.Section.Wz,
		)
	}
	return most
}

// Lighter is a role whose members could be of a lighter section.
type Lighter struct {
	Says  said.Sentence   `json:"says"`
	Use   finding.Measure `json:"use"`   // about what it would then take
	Saves finding.Measure `json:"saves"` // kg
	Patch []finding.Op    `json:"patch"`
}

// easily is the use up to which a lighter section is offered.
const easily = 0.8

// lighter looks for each role's lightest usual section that its members would still bear easily: by the
// moduli alone, so the check must say so once it is taken.
func (j *judged) lighter() []Lighter {
	out := []Lighter{}
	done := map[int]bool{}
	for i := range j.m.bars {
		if done[i] {
			continue
		}
		b := &j.m.bars[i]
		use := 0.0
		var all []int
		for k := range j.m.bars {
			if o := &j.m.bars[k]; o.Member.Role == b.Member.Role && alike(o.Member.Profile, b.Member.Profile) {
				all, done[k] = append(all, k), true
				_, _, share := j.of(k)
				use = math.Max(use, share)
			}
		}
		best, saves, then := b.Member.Profile, 0.0, 0.0
		for _, c := range catalogue.Commons {
			if c.Shape != b.Member.Profile.Shape || !c.Of(b.Stock) {
				continue
			}
			p := b.Member.Profile
			p.Height, p.Width, p.Wall, p.Lip, p.PerMetre = c.Height, c.Width, c.Wall, c.Lip, nil
			k := frameBarOf(b, p)
			if k == nil {
				continue
			}
			about := use * math.Max(
				b.Section.Wy/k.Section.Wy,
				math.Max(b.Section.Wz/k.Section.Wz, b.Twist.Wt/k.Twist.Wt),
			)
			less := 0.0
			for _, n := range all {
				less += j.m.bars[n].Each - weight(p, j.m.bars[n].Length)
			}
			if about <= easily && less > saves+0.05 && about > 0 {
				best, saves, then = p, less, about
			}
		}
		if saves <= 0 {
			continue
		}
		l := Lighter{
			Says: said.Say("Every "+roleName(b.Member.Role)+" could be %.", said.Piece{Text: sizes(best)}),
			Use:  *finding.Exactly(quantity.KindShare, then), Saves: *finding.Exactly(quantity.KindMass, saves),
		}
		for _, n := range all {
			path := j.path(n)[:len(j.path(n))-len(j.m.bars[n].ID)]
			l.Patch = append(l.Patch, finding.Op{Op: "add", Path: j.path(n) + "/profile", Value: best})
			l.Patch = append(l.Patch, follow(j.r, path, &j.m.bars[n], best)...)
		}
		l.Patch = once(l.Patch)
		out = append(out, l)
	}
	slices.SortStableFunc(out, func(a, b Lighter) int { return cmp.Compare(b.Saves.Value, a.Saves.Value) })
	return out
}

// frameBarOf is a bar of another section; nil where it makes no sense.
func frameBarOf(b *parts.FrameBar, p plan.Profile) *parts.FrameBar {
	m := b.Member
	m.Profile = p
	f := parts.FrameBars(&plan.Frame{Members: map[string]plan.Member{"x": m}})
	if f[0].Wrong != "" {
		return nil
	}
	return &f[0]
}

// once keeps the first of the operations on each path.
func once(ops []finding.Op) []finding.Op {
	seen := map[string]bool{}
	return slices.DeleteFunc(ops, func(o finding.Op) bool {
		was := seen[o.Path]
		seen[o.Path] = true
		return was
	})
}
