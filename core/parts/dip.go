package parts

import (
	"math"
	"slices"
	"strconv"

	"gonum.org/v1/gonum/spatial/r3"

	"zygonos/core/facts/norms"
	"zygonos/core/lang/finding"
	"zygonos/core/lang/quantity"
	"zygonos/core/plan"
	"zygonos/core/sums/section"
)

// Volume is the inside of a closed member with its openings, for the zinc bath and for rain.
type Volume struct {
	Bar   int
	Ends  [2]VentState
	Drain bool // water that gets in finds a way out at its lowest place
	Wet   bool // water gets in
}

// VentState is one end of a closed member.
type VentState struct {
	Open  bool    // the tube itself is open there
	Holes int     // openings in its walls near the end
	Least float64 // the smallest of them, m
	Wants float64 // the diameter that so many, or one where there is none, must have, m
}

// Vented reports whether gas and zinc pass.
func (v *VentState) Vented() bool { return v.Open || v.Holes > 0 && v.Least >= v.Wants-1e-9 }

// nearEnd is how far from an end a hole still vents it, times the section's size (practice, C).
const nearEnd = 1.0

// Volumes are the closed members of a frame. An end is shut where it comes against another member or has a
// cap; else it is open. A hole goes through both walls and counts as two openings.
func Volumes(bars []FrameBar, ends [][2]EndCut) (out []Volume) {
	for i := range bars {
		b := &bars[i]
		s := section.Shape(b.Member.Profile.Shape)
		if b.Wrong != "" || s != section.Tube && s != section.Round {
			continue
		}
		v := Volume{Bar: i}
		size := (b.High + b.Wide) / 2
		caps := [2]bool{b.Member.FromCap, b.Member.ToCap}
		for e := range v.Ends {
			st := &v.Ends[e]
			st.Open = ends[i][e].Meets < 0 && !caps[e]
			for k := range b.Cuts {
				c := &b.Cuts[k].Cut
				at := float64(c.At)
				if e == 1 {
					at = b.Length - at
				}
				wide, openings := float64(c.Size), 2
				if c.What == plan.CutNotch {
					wide, openings = math.Min(float64(c.Size), float64(c.Long)), 1
				}
				if at > nearEnd*size+wide || c.Closed {
					continue
				}
				if st.Holes == 0 || wide < st.Least {
					st.Least = wide
				}
				st.Holes += openings
			}
			st.Wants, _ = norms.Vent(size, max(1, st.Holes))
		}
		v.Wet, v.Drain = b.water(&v)
		out = append(out, v)
	}
	return out
}

// water reports whether rain gets into a closed member, and whether it runs out at its lowest place: through
// an open end or a hole in its underside there.
func (b *FrameBar) water(v *Volume) (wet, drains bool) {
	low := 0 // the lower end; a level member has none
	fall := b.To.Z - b.From.Z
	level := math.Abs(fall) < 0.01*b.Length
	if fall < 0 {
		low = 1
	}
	wet = v.Ends[0].Open || v.Ends[1].Open
	for k := range b.Cuts {
		c := &b.Cuts[k].Cut
		axis, sign, ok := b.Face(c.Face)
		if !ok {
			continue
		}
		if c.What == plan.CutNotch && c.Closed {
			continue
		}
		wet = true
		under := axis >= 1 && math.Abs(b.Axes[axis].Z) > 0.7 && (c.What == plan.CutHole || b.Axes[axis].Z*sign < 0)
		at := float64(c.At)
		if low == 1 {
			at = b.Length - at
		}
		drains = drains || under && (level || at < nearEnd*(b.High+b.Wide)/2+float64(c.Size))
	}
	drains = drains || !level && v.Ends[low].Open
	return wet, drains
}

// Painted is the surface of a bar that a brush reaches, m²: outside alone where it is hollow, and its ends.
func (b *FrameBar) Painted() float64 {
	s := SizeOf(b.Member.Profile)
	switch s.Shape {
	case section.Tube:
		return 2 * (s.H + s.B) * b.Length
	case section.Round:
		return math.Pi * s.H * b.Length
	}
	return b.Coated()
}

// Coated is the surface of a bar that zinc covers, m²: outside, and inside where it is hollow, both ends'
// rims left out.
func (b *FrameBar) Coated() float64 {
	s := SizeOf(b.Member.Profile)
	around := 0.0
	switch s.Shape {
	case section.Tube:
		around = 2*(s.H+s.B) + 2*(s.H+s.B-4*s.T)
	case section.Round:
		around = math.Pi * (2*s.H - 2*s.T)
	case section.Rod:
		around = math.Pi * s.H
	case section.Bar:
		around = 2 * (s.H + s.B)
	case section.Angle:
		around = 2 * (s.H + s.B)
	case section.Channel:
		around = 2*s.H + 4*s.B - 2*s.T
	case section.Strut:
		lip := s.Lip
		if lip == 0 {
			lip = 3 * s.T
		}
		around = 2*(2*s.H+s.B+2*lip) - 6*s.T
	}
	return around * b.Length
}

// Galvanised is the surface and the zinc of a frame, m² and kg: by the coating of each wall, as often found.
func Galvanised(bars []FrameBar) (area, zinc float64) {
	for i := range bars {
		b := &bars[i]
		if b.Wrong != "" || b.Stock.Timber || b.Stock.Warm > 0 || b.Stock.Density < 7000 {
			continue
		}
		wall := float64(b.Member.Profile.Wall)
		if wall == 0 {
			wall = math.Min(b.High, b.Wide)
		}
		a := b.Coated()
		area, zinc = area+a, zinc+a*norms.Zinc(wall)*norms.ZincOften
	}
	return area, zinc
}

// Lap is where two members lie on each other with their sides.
type Lap struct {
	A, B int
	Area float64 // m²
}

// Laps are the faces that lie on each other, larger first: widths over the sine of their angle, or the
// length that they run along each other.
func Laps(bars []FrameBar, touches []Touch, ends [][2]EndCut) (out []Lap) {
	seen := map[[2]int]bool{}
	for _, t := range touches {
		a, b := &bars[t.A], &bars[t.B]
		key := [2]int{t.A, t.B}
		butts := func(i, on int, at float64) bool {
			return at < endZone && ends[i][0].Meets == on || at > bars[i].Length-endZone && ends[i][1].Meets == on
		}
		ended := func(x *FrameBar, at float64) bool { return at < endZone || at > x.Length-endZone }
		crossing := r3.Norm(r3.Cross(a.Axes[0], b.Axes[0])) > 0.1
		if crossing && ended(a, t.AtA) && ended(b, t.AtB) { // they run together in one point
			continue
		}
		if seen[key] || butts(t.A, t.B, t.AtA) || butts(t.B, t.A, t.AtB) || a.round() || b.round() {
			continue
		}
		seen[key] = true
		d := r3.Sub(b.At(t.AtB), a.At(t.AtA))
		wide := func(x *FrameBar) float64 { // of the face that looks at the other
			if math.Abs(r3.Dot(d, x.Axes[2])) >= math.Abs(r3.Dot(d, x.Axes[1])) {
				return x.Wide
			}
			return x.High
		}
		sine := r3.Norm(r3.Cross(a.Axes[0], b.Axes[0]))
		area := 0.0
		if sine > 0.1 {
			area = wide(a) * wide(b) / sine
		} else if at := meetings(a, b); len(at) == 2 {
			area = math.Min(wide(a), wide(b)) * (at[1][0] - at[0][0])
		}
		if area > 0 {
			out = append(out, Lap{t.A, t.B, area})
		}
	}
	slices.SortStableFunc(out, func(x, y Lap) int {
		switch {
		case x.Area > y.Area:
			return -1
		case x.Area < y.Area:
			return 1
		}
		return 0
	})
	return out
}

// Vents are the vents that a frame lacks: a pair through both walls near each shut end that has none, from its
// underside on up, so that they drain as well.
func Vents(f *plan.Frame) map[string][]plan.MemberCut {
	bars := FrameBars(f)
	ends := FrameEnds(bars, FrameTouches(bars))
	out := map[string][]plan.MemberCut{}
	for _, v := range Volumes(bars, ends) {
		b := &bars[v.Bar]
		pair, ok := norms.Vent((b.High+b.Wide)/2, 2)
		if !ok {
			pair, _ = norms.Vent((b.High+b.Wide)/2, 1)
		}
		for e := range v.Ends {
			if v.Ends[e].Vented() {
				continue
			}
			at := math.Max(pair, 0.015)
			if e == 1 {
				at = b.Length - at
			}
			out[b.ID] = append(out[b.ID], plan.MemberCut{
				What: plan.CutHole, At: quantity.Length(math.Round(at*1000) / 1000), Size: quantity.Length(pair),
			})
		}
	}
	return out
}

// VentOps put the vents that a frame lacks into its members; path ends before a member's key, and id begins
// the new cuts' keys.
func VentOps(f *plan.Frame, path, id string) (out []finding.Op) {
	missing := Vents(f)
	for _, key := range plan.Ordered(f.Members, func(m plan.Member) int { return m.Order }) {
		if len(missing[key]) == 0 {
			continue
		}
		cuts := map[string]plan.MemberCut{}
		last := 0
		for k, c := range f.Members[key].Cuts {
			cuts[k] = c
			last = max(last, c.Order)
		}
		for i, c := range missing[key] {
			c.Order = last + i + 1
			cuts[id+"-"+strconv.Itoa(i)] = c
		}
		out = append(out, finding.Op{Op: "add", Path: path + key + "/cuts", Value: cuts})
	}
	return out
}
