package parts

import (
	"cmp"
	"math"
	"slices"

	"gonum.org/v1/gonum/spatial/r3"

	"zygonos/core/facts/catalogue"
	"zygonos/core/plan"
	"zygonos/core/sums/frame3d"
	"zygonos/core/sums/section"
)

// FrameBar is a member of a frame made ready: the line of its middle in the deck's coordinates, x behind
// the front board, y to the right, z over the deck's underside.
type FrameBar struct {
	ID       string
	Member   plan.Member
	From, To r3.Vec
	Axes     [3]r3.Vec // own x, y, z (frame3d.AxesOf)
	Length   float64   // m
	Each     float64   // kg
	Section  section.Properties
	Twist    section.Torsion
	Stock    catalogue.Stock
	High     float64 // size of the section along its own z, m
	Wide     float64 // and along its own y
	Cuts     []BarCut
	Wrong    string // why it can bear nothing; empty: it can
}

// Middle of the bar.
func (b *FrameBar) Middle() r3.Vec { return r3.Scale(0.5, r3.Add(b.From, b.To)) }

// At is the place so far from its beginning, m.
func (b *FrameBar) At(s float64) r3.Vec { return r3.Add(b.From, r3.Scale(s, b.Axes[0])) }

// FrameBars are a frame's members in their order. One that makes no sense weighs nothing and says why.
func FrameBars(f *plan.Frame) []FrameBar {
	if f == nil {
		return nil
	}
	ids := plan.Ordered(f.Members, func(m plan.Member) int { return m.Order })
	out := make([]FrameBar, 0, len(ids))
	known := map[section.Size]sectioned{} // members share their sections
	for _, id := range ids {
		m := f.Members[id]
		size := SizeOf(m.Profile)
		s, ok := known[size]
		if !ok {
			s = sectionOf(size)
			known[size] = s
		}
		out = append(out, frameBar(id, m, size, s))
	}
	return out
}

// sectioned is what a section comes to.
type sectioned struct {
	section section.Properties
	twist   section.Torsion
	err     error
}

func sectionOf(size section.Size) (s sectioned) {
	if s.section, s.err = section.Of(size); s.err == nil {
		s.twist, s.err = section.TorsionOf(size)
	}
	return s
}

func frameBar(id string, m plan.Member, size section.Size, s sectioned) FrameBar {
	b := FrameBar{ID: id, Member: m, From: point(m.From), To: point(m.To), High: float64(m.Profile.Height)}
	b.Stock, _ = catalogue.StockOf(m.Profile.Material)
	b.Wide = size.B
	if size.Shape == section.Round || size.Shape == section.Rod {
		b.Wide = b.High
	}
	d := r3.Sub(b.To, b.From)
	b.Length = r3.Norm(d)
	if !(b.Length > 1e-4) {
		b.Length, b.Wrong = 0, "it has no length"
		b.Axes = frame3d.AxesOf(r3.Vec{X: 1}, 0)
		return b
	}
	b.Axes = frame3d.AxesOf(d, m.Roll)
	// what is taped is the top of the bar; its middle lies half its height under that, across the bar
	if math.Abs(b.Axes[0].Z) < upright {
		plain := frame3d.AxesOf(d, 0)[2]
		sin, cos := math.Sincos(m.Roll)
		half := math.Abs(cos)*b.High/2 + math.Abs(sin)*b.Wide/2
		drop := r3.Scale(-half, plain)
		b.From, b.To = r3.Add(b.From, drop), r3.Add(b.To, drop)
	}
	b.Section, b.Twist = s.section, s.twist
	if s.err != nil {
		b.Wrong = s.err.Error()
		return b
	}
	b.Each = b.Stock.Density * b.Section.Area * b.Length
	if len(m.Cuts) > 0 {
		b.Cuts, b.Wrong = cutsOf(&b)
	}
	return b
}

// upright is the share of height in its direction from which a bar counts as standing.
const upright = 0.95

func point(p plan.FramePoint) r3.Vec {
	return r3.Vec{X: float64(p.Back), Y: float64(p.Right), Z: float64(p.Up)}
}

// FrameMass is what a frame's members weigh together, kg, and where their centre lies in the deck's
// coordinates, m: Σρ·A·l and Σm·x/Σm. What welds and paint add is not in it.
func FrameMass(f *plan.Frame) (mass float64, centre r3.Vec) { return BarsMass(FrameBars(f)) }

// BarsMass is FrameMass of the bars of a frame.
func BarsMass(bars []FrameBar) (mass float64, centre r3.Vec) {
	for i := range bars {
		b := &bars[i]
		mass += b.Each
		centre = r3.Add(centre, r3.Scale(b.Each, b.Middle()))
	}
	if mass > 0 {
		centre = r3.Scale(1/mass, centre)
	}
	return mass, centre
}

// Extra is what welds, paint and fasteners add to a frame, share of its members' weight.
func Extra(f *plan.Frame) float64 {
	if f.Extra != nil {
		return *f.Extra
	}
	return plan.DefaultExtra
}

// Touch is where two members of a frame meet: so far from the beginning of each, m.
type Touch struct {
	A, B   int // indexes of the bars, A < B
	AtA    float64
	AtB    float64
	Across float64 // between their middles, m
}

// gap is what may be between two faces that are joined, m: a weld bridges it (practice, C).
const gap = 0.006

// FrameTouches finds where members meet: their faces come as near as a weld's
// gap. Members along each other meet at both ends of where they lie side by side.
func FrameTouches(bars []FrameBar) (out []Touch) {
	for i := range bars {
		for j := i + 1; j < len(bars); j++ {
			a, b := &bars[i], &bars[j]
			if a.Length == 0 || b.Length == 0 {
				continue
			}
			for _, at := range meetings(a, b) {
				d := r3.Sub(b.At(at[1]), a.At(at[0]))
				if apart(a, b, d) <= gap {
					out = append(out, Touch{i, j, at[0], at[1], r3.Norm(d)})
				}
			}
		}
	}
	return out
}

// apart is the gap between two bars whose middles lie d apart where they are nearest, m: the widest over
// the faces of both sections, negative where they reach into each other.
func apart(a, b *FrameBar, d r3.Vec) float64 {
	most := math.Inf(-1)
	for _, n := range [4]r3.Vec{a.Axes[1], a.Axes[2], b.Axes[1], b.Axes[2]} {
		most = math.Max(most, math.Abs(r3.Dot(d, n))-a.reach(n)-b.reach(n))
	}
	return most
}

// reach is how far a bar's section goes from its middle along a unit vector, m; a round one as far in all.
func (b *FrameBar) reach(n r3.Vec) float64 {
	y, z := math.Abs(r3.Dot(n, b.Axes[1])), math.Abs(r3.Dot(n, b.Axes[2]))
	if s := section.Shape(b.Member.Profile.Shape); s == section.Round || s == section.Rod {
		return math.Hypot(y, z) * b.High / 2
	}
	return y*b.Wide/2 + z*b.High/2
}

// FrameTwice finds members that lie in each other: along each other over more than the width of either,
// their middles nearer than the thinner one's half. Steel drawn twice would bear twice.
func FrameTwice(bars []FrameBar) (out [][2]int) {
	for i := range bars {
		for j := i + 1; j < len(bars); j++ {
			a, b := &bars[i], &bars[j]
			if a.Length == 0 || b.Length == 0 {
				continue
			}
			at := meetings(a, b)
			if len(at) < 2 || at[1][0]-at[0][0] < math.Max(a.Wide, b.Wide) {
				continue
			}
			near := math.Min(math.Min(a.Wide, a.High), math.Min(b.Wide, b.High)) / 2
			inside := func(m [2]float64) bool { return r3.Norm(r3.Sub(b.At(m[1]), a.At(m[0]))) < near }
			if inside(at[0]) && inside(at[1]) {
				out = append(out, [2]int{i, j})
			}
		}
	}
	return out
}

// meetings are the places of two bars where they come nearest: one, or two where they run along each
// other.
func meetings(a, b *FrameBar) [][2]float64 {
	u, v := a.Axes[0], b.Axes[0]
	w := r3.Sub(a.From, b.From)
	c, d, e := r3.Dot(u, v), r3.Dot(u, w), r3.Dot(v, w)
	clamp := func(x, most float64) float64 { return math.Max(0, math.Min(most, x)) }
	if den := 1 - c*c; den > 1e-6 {
		s := clamp((c*e-d)/den, a.Length)
		t := clamp(e+c*s, b.Length)
		return [][2]float64{{clamp(c*t-d, a.Length), t}}
	}
	// along each other: where b's ends lie on a
	from, to := -d, -d+c*b.Length
	low, high := math.Max(0, math.Min(from, to)), math.Min(a.Length, math.Max(from, to))
	on := func(s float64) [2]float64 { return [2]float64{s, clamp((s+d)/c, b.Length)} }
	if high-low < 1e-6 { // they only meet end to end, or not at all
		return [][2]float64{on(clamp((low+high)/2, a.Length))}
	}
	return [][2]float64{on(low), on(high)}
}

// FramePiece is a length to be cut: members of one section and length, with like ends.
type FramePiece struct {
	Profile plan.Profile
	Length  float64 // of its middle line, m
	Overall float64 // from long point to long point, m: what comes off the bar
	Ends    [2]EndCut
	Members []string // ids
	Each    float64  // kg
}

// FramePieces are a frame's members by section, length and ends, longest first.
func FramePieces(bars []FrameBar) (out []FramePiece) {
	ends := FrameEnds(bars, FrameTouches(bars))
	for i := range bars {
		b := &bars[i]
		if b.Wrong != "" {
			continue
		}
		p := b.Member.Profile
		p.PerMetre = nil
		e := ends[i]
		signed := p.Shape == string(section.Angle) || p.Shape == string(section.Channel)
		at := slices.IndexFunc(out, func(q FramePiece) bool {
			same := q.Ends[0].like(&e[0], signed) && q.Ends[1].like(&e[1], signed) ||
				!signed && q.Ends[0].like(&e[1], false) && q.Ends[1].like(&e[0], false)
			return q.Profile == p && math.Abs(q.Length-b.Length) < 5e-5 && same
		})
		if at < 0 || len(b.Cuts) > 0 { // what is notched or drilled is a piece of its own
			at = len(out)
			out = append(out, FramePiece{
				Profile: p, Length: b.Length, Overall: b.Length + e[0].Extra + e[1].Extra, Ends: e, Each: b.Each,
			})
		}
		out[at].Members = append(out[at].Members, b.ID)
	}
	slices.SortStableFunc(out, func(a, b FramePiece) int {
		return cmp.Or(bySection(a.Profile, b.Profile), cmp.Compare(b.Overall, a.Overall))
	})
	return out
}

// bySection orders profiles: like ones together.
func bySection(a, b plan.Profile) int {
	return cmp.Or(
		cmp.Compare(a.Material, b.Material), cmp.Compare(a.Shape, b.Shape), cmp.Compare(b.Height, a.Height),
		cmp.Compare(b.Width, a.Width), cmp.Compare(b.Wall, a.Wall), cmp.Compare(b.Lip, a.Lip),
	)
}
