package frame

import (
	"math"

	"gonum.org/v1/gonum/mat"
	"gonum.org/v1/gonum/spatial/r3"

	"zygonos/core/lang/finding"
	"zygonos/core/lang/quantity"
	"zygonos/core/parts"
	"zygonos/core/sums/section"
)

// gains is what a kilogram more in each member's walls brings: a share s = 1/m of its mass. Its modulus grows
// by s times the rate at which it does with its area, so its own use falls to u/(1 + s·w), and the free corner
// dips less by s·Σ(rate·U)/ΣU over the member's bending both ways, torsion and pull: F·d = 2ΣU, and with it
// dd = −2U/F for each part of U that gets stiffer.
func (j *judged) gains(members []MemberUse) {
	o, _ := j.m.twisted()
	if o == nil {
		return
	}
	each, sum := make([]float64, len(j.m.bars)), 0.0
	rates := make([]rate, len(j.m.bars))
	for i := range rates {
		rates[i] = thicker(&j.m.bars[i])
	}
	for e := range j.m.m.Members {
		u := o.Energy(e)
		sum += u.Sum()
		if e < len(j.m.pieces) {
			bar := j.m.pieces[e].bar
			each[bar] += u.Pull + u.BendY*rates[bar].iy + u.BendZ*rates[bar].iz + u.Twist*rates[bar].it
		}
	}
	if !(sum > 0) {
		return
	}
	for i := range members {
		m := j.m.bars[i].Each
		if !(m > 0) || members[i].Use == nil {
			continue
		}
		use := finding.Exactly(quantity.KindShare, members[i].Use.Value/(1+rates[i].w/m))
		twist := finding.Exactly(quantity.KindShare, each[i]/sum/m)
		if use != nil && twist != nil {
			members[i].Gain = &Gain{*use, *twist}
		}
	}
}

// rate is how fast a section's figures grow with its area, each as a share of itself.
type rate struct{ iy, iz, it, w float64 }

// thicker are the rates of walls that grow a hundredth, of a solid section's width.
func thicker(b *parts.FrameBar) rate {
	s := parts.SizeOf(b.Member.Profile)
	if s.T > 0 {
		s.T *= 1.01
	} else {
		s.B, s.H = s.B*1.005, s.H*1.005
	}
	p, err := section.Of(s)
	t, err2 := section.TorsionOf(s)
	area := p.Area/b.Section.Area - 1
	if err != nil || err2 != nil || !(area > 0) {
		return rate{1, 1, 1, 1}
	}
	return rate{
		(p.Iy/b.Section.Iy - 1) / area, (p.Iz/b.Section.Iz - 1) / area, (t.It/b.Twist.It - 1) / area,
		(p.Wy/b.Section.Wy - 1) / area,
	}
}

// swings are the natural frequencies by Rayleigh's quotient with the shape that the weight bends the rig to:
// on its springs ω² = g·Σm·w/Σm·w², and of the frame in itself, with the plane that fits best, by mass, taken
// out of the shape, ω² = 2U/Σm·w′² with the strain energy U of its members. Nil where it does not bend.
func (j *judged) swings() (bounces, frame *finding.Measure) {
	a := j.answers[0]
	if a.id != level.id {
		return nil, nil
	}
	var at []vec
	var mass, down []float64
	put := func(e int, s, force float64) {
		if m := -force / quantity.Gravity; m > 0 {
			p, w := j.m.sunk(a, e, s)
			at, mass, down = append(at, p), append(mass, m), append(down, w)
		}
	}
	for _, p := range a.c.Points {
		put(p.Member, p.At, p.Force.Z)
	}
	for _, p := range a.c.Lines {
		put(p.Member, (p.A+p.B)/2, (p.ForceA.Z+p.Force.Z)/2*(p.B-p.A))
	}
	if len(at) < 3 {
		return nil, nil
	}
	work, square := 0.0, 0.0
	for i, m := range mass {
		work += m * down[i]
		square += m * down[i] * down[i]
	}
	bounces = hertz(quantity.Gravity * work / square)
	rows, rise := mat.NewDense(len(at), 3, nil), mat.NewVecDense(len(at), nil)
	for i, p := range at {
		root := math.Sqrt(mass[i])
		rows.SetRow(i, []float64{root, root * p.X, root * p.Y})
		rise.SetVec(i, root*down[i])
	}
	var plane mat.VecDense
	if err := plane.SolveVec(rows, rise); err != nil {
		return bounces, nil
	}
	square = 0
	for i, m := range mass {
		w := down[i] - plane.AtVec(0) - plane.AtVec(1)*at[i].X - plane.AtVec(2)*at[i].Y
		square += m * w * w
	}
	energy := 0.0
	for e := range j.m.pieces {
		energy += a.s.Energy(e).Sum()
	}
	return bounces, hertz(2 * energy / square)
}

func hertz(squared float64) *finding.Measure {
	return finding.Exactly(quantity.KindFrequency, math.Sqrt(squared)/(2*math.Pi))
}

// sunk is a place of an element and how far it lies under where it was, m: its ends' shifts, and between
// them a bow of the height of its sag.
func (m *model) sunk(a *answer, e int, s float64) (at vec, down float64) {
	p := &m.pieces[e]
	b := &m.bars[p.bar]
	x := s / (p.to - p.from)
	shift := r3.Add(
		r3.Scale(
			1-x,
			m.shift(a.s, b, m.placeAt(p.bar, p.from)),
		),
		r3.Scale(x, m.shift(a.s, b, m.placeAt(p.bar, p.to))),
	)
	_, z := a.s.Sag(e)
	shift = r3.Add(shift, r3.Scale(4*z*x*(1-x), b.Axes[2]))
	return b.At(p.from + s), -shift.Z
}
