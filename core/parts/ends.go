package parts

import (
	"math"
	"strconv"

	"gonum.org/v1/gonum/spatial/r3"

	"zygonos/core/lang/quantity"
	"zygonos/core/lang/said"
	"zygonos/core/plan"
	"zygonos/core/sums/section"
)

// EndCut is how a member's end leaves the saw: in a plane that closes on what it meets.
type EndCut struct {
	Flat  float64 // rad from square, the section as it stands: the saw is turned
	Rise  float64 // rad from square, up or down: the saw is tilted
	Extra float64 // m by which the long point stands over the middle line's end
	Round float64 // m, diameter of the round tube that it is coped to; zero: none
	Meets int     // bar that it closes on; −1: none
}

// Square reports whether an end is cut straight across.
func (e *EndCut) Square() bool {
	return math.Abs(e.Flat) < squareTo && math.Abs(e.Rise) < squareTo && e.Round == 0
}

// Figures of ends.
const (
	squareTo = 0.25 * math.Pi / 180 // an angle under which a saw is not set
	steep    = 60 * math.Pi / 180   // from square, beyond which nobody saws: it runs along, or is cut square
	endZone  = 0.015                // m from its end within which a member is met there
)

// FrameEnds are the cuts of both ends of every bar. An end that comes against another bar's side is cut in
// the plane of that face n: tan of the turn is n·y/n·x and of the tilt n·z/n·x, in the bar's own axes. Two
// that end in each other share the corner's angle, in the plane with the normal a − b of their directions
// toward it. What lies over or under the other is cut square. The long point stands
// B/2·tan + H/2·tan over the middle line's end.
func FrameEnds(bars []FrameBar, touches []Touch) [][2]EndCut {
	out := make([][2]EndCut, len(bars))
	for i := range out {
		out[i][0].Meets, out[i][1].Meets = -1, -1
	}
	best := make([][2]float64, len(bars)) // of what an end meets, the nearest face counts
	for i := range best {
		best[i] = [2]float64{math.Inf(-1), math.Inf(-1)}
	}
	see := func(a, b int, atA, atB float64) {
		A, B := &bars[a], &bars[b]
		for end, at := range [2]float64{0, A.Length} {
			if math.Abs(atA-at) > endZone {
				continue
			}
			toward := r3.Scale(float64(2*end-1), A.Axes[0])
			n, off, ok := closes(A, B, toward, at, atB)
			if !ok || off <= best[a][end] {
				continue
			}
			best[a][end] = off
			out[a][end] = endCut(A, B, toward, n, b)
		}
	}
	for _, t := range touches {
		see(t.A, t.B, t.AtA, t.AtB)
		see(t.B, t.A, t.AtB, t.AtA)
	}
	return out
}

// closes is the normal of the plane in which A's end, which looks toward, closes on B, and how far apart
// they are along it; ok is false where A lies along, over or under B.
func closes(A, B *FrameBar, toward r3.Vec, at, atB float64) (n r3.Vec, off float64, ok bool) {
	d := r3.Sub(B.At(atB), A.At(at))
	off = math.Inf(-1)
	for _, axis := range B.Axes[1:] {
		if v := math.Abs(r3.Dot(d, axis)) - A.reach(axis) - B.reach(axis); v > off {
			n, off = axis, v
		}
	}
	if math.Min(atB, B.Length-atB) <= endZone { // B may end against A's side
		if v := math.Abs(r3.Dot(d, B.Axes[0])) - A.reach(B.Axes[0]); v > off {
			n, off = B.Axes[0], v
		}
	}
	if B.round() { // it has no faces: square to its line, in the plane of both
		if p := r3.Sub(toward, r3.Scale(r3.Dot(toward, B.Axes[0]), B.Axes[0])); r3.Norm(p) > 0.1 &&
			r3.Norm(r3.Sub(d, r3.Scale(r3.Dot(d, B.Axes[0]), B.Axes[0]))) < (A.High+B.High)/2 {
			n = r3.Unit(p)
		}
	}
	if corner := math.Min(atB, B.Length-atB) <= endZone; corner && !B.round() &&
		r3.Norm(d) < math.Min(math.Min(A.Wide, A.High), math.Min(B.Wide, B.High))/2 {
		other := B.Axes[0]
		if atB < B.Length/2 {
			other = r3.Scale(-1, other)
		}
		if m := r3.Sub(toward, other); r3.Norm(m) > 0.1 {
			n = r3.Unit(m)
		}
	}
	c := r3.Dot(n, toward)
	return n, off, math.Abs(c) > math.Cos(steep)
}

// endCut is a cut in a plane.
func endCut(A, B *FrameBar, toward, n r3.Vec, b int) EndCut {
	c := r3.Dot(n, toward)
	e := EndCut{
		Flat: math.Atan(r3.Dot(n, A.Axes[1]) / c), Rise: math.Atan(r3.Dot(n, A.Axes[2]) / c), Meets: b,
	}
	if B.round() {
		e.Round = B.High
	}
	e.Extra = A.Wide/2*math.Abs(math.Tan(e.Flat)) + A.High/2*math.Abs(math.Tan(e.Rise))
	if e.Round > 0 { // the ears reach round it, as far as half the bar's own size takes them
		r, h := e.Round/2, math.Min(A.Wide, A.High)/2
		e.Extra += r - math.Sqrt(math.Max(0, r*r-h*h))
	}
	if e.Square() {
		e.Flat, e.Rise, e.Extra = 0, 0, 0
	}
	return e
}

func (b *FrameBar) round() bool {
	s := section.Shape(b.Member.Profile.Shape)
	return s == section.Round || s == section.Rod
}

// like reports whether two ends leave the saw alike; the sign of an angle counts for sections that cannot be
// turned over.
func (e *EndCut) like(o *EndCut, signed bool) bool {
	a, b := [3]float64{e.Flat, e.Rise, e.Round}, [3]float64{o.Flat, o.Rise, o.Round}
	for i := range a {
		if !signed {
			a[i], b[i] = math.Abs(a[i]), math.Abs(b[i])
		}
		if math.Abs(a[i]-b[i]) > squareTo {
			return false
		}
	}
	return true
}

// Text says how an end is cut.
func (e *EndCut) Text() said.Sentence {
	if e.Square() {
		return said.Say("square")
	}
	var out []said.Sentence
	if math.Abs(e.Flat) >= squareTo {
		out = append(out, said.Say("turned %", said.Of(quantity.KindAngle, math.Abs(e.Flat))))
	}
	if math.Abs(e.Rise) >= squareTo {
		out = append(out, said.Say("tilted %", said.Of(quantity.KindAngle, math.Abs(e.Rise))))
	}
	if e.Round > 0 {
		out = append(out, said.Say("coped to % round", said.Length(e.Round)))
	}
	return said.List(out...)
}

// Marks are short names to be chalked on the pieces: R1, C2, D1 by role, in order.
func Marks(bars []FrameBar) []string {
	letter := map[plan.Role]string{
		plan.RoleRail: "R", plan.RoleCross: "C", plan.RoleDrawbar: "D", plan.RoleUpright: "U", plan.RoleBrace: "B",
	}
	count := map[string]int{}
	out := make([]string, len(bars))
	for i := range bars {
		l := letter[bars[i].Member.Role]
		if l == "" {
			l = "M"
		}
		count[l]++
		out[i] = l + strconv.Itoa(count[l])
	}
	return out
}
