package parts

import (
	"math"

	"zygonos/core/facts/catalogue"
	"zygonos/core/lang/quantity"
	"zygonos/core/plan"
	"zygonos/core/sums/section"
)

// BoxPiece is a piece of a body on the deck, or several alike.
type BoxPiece struct {
	Name     string
	Door     bool // of the rear face where that is a door
	Count    int
	Long     float64                 // of a stick, m
	Area     float64                 // of a skin, m²
	Each     quantity.Range[float64] // kg
	Back, Up float64                 // of its centre behind the body's front and over the deck, m
}

// PostsOf is how many posts stand along a side of a body, its corners with them, and how many between the corners of an end.
func PostsOf(b *plan.BoxBody) (side, end int) {
	apart := math.Inf(1)
	if b.Apart != nil && *b.Apart > 0 {
		apart = float64(*b.Apart)
	}
	bays := func(long float64) int { return max(1, int(math.Ceil(long/apart-1e-9))) }
	return bays(float64(b.Long)) + 1, bays(float64(b.Wide)) - 1
}

// BoxPieces are the pieces of a body: posts, rails at the floor and the top, bows of a roof, and skins of its closed
// faces. Sticks are counted over the outer sizes.
func BoxPieces(b *plan.BoxBody) (out []BoxPiece) {
	l, w, h := float64(b.Long), float64(b.Wide), float64(b.High)
	if s, err := section.Of(SizeOf(b.Stick)); err == nil && b.Stick.Shape != "" {
		stock, _ := catalogue.StockOf(b.Stick.Material)
		side, end := PostsOf(b)
		stick := func(name string, n int, long, back, up float64, door bool) {
			if n > 0 && long > 0 {
				m := quantity.Exactly(s.Area * stock.Density * long)
				out = append(
					out,
					BoxPiece{Name: name, Count: n, Long: long, Each: m, Back: back, Up: up, Door: door},
				)
			}
		}
		door := b.RampDoor || b.Leaves > 0
		stick("posts of the sides", 2*side, h, l/2, h/2, false)
		stick("rails of the sides", 4, l, l/2, h/2, false)
		stick("rails across, front", 2, w, 0, h/2, false)
		stick("rails across, rear", 2, w, l, h/2, door)
		if !b.OpenFront {
			stick("posts of the front", end, h, 0, h/2, false)
		}
		if !b.OpenRear {
			n := end
			if b.RampDoor && b.Stiles > 0 {
				n = b.Stiles
			}
			if b.Leaves > 0 && !b.RampDoor {
				n = max(n, 2*b.Leaves) // a leaf has two stiles
			}
			stick("posts of the rear", n, h, l, h/2, door)
		}
		if b.Roof {
			stick("bows of the roof", side-2, w, l/2, h, false)
		}
	}
	solid, known := catalogue.SolidOf(b.Skin)
	if b.SkinThick != nil && known {
		t := float64(*b.SkinThick)
		skin := func(name string, n int, area, back, up float64, door bool) {
			out = append(out, BoxPiece{
				Name: name, Count: n, Area: area, Back: back, Up: up, Door: door,
				Each: quantity.Range[float64]{
					Low: area * t * solid.Low, High: area * t * solid.High, Nominal: area * t * (solid.Low + solid.High) / 2,
				},
			})
		}
		skin("skins of the sides", 2, l*h, l/2, h/2, false)
		if !b.OpenFront {
			skin("skin of the front", 1, w*h, 0, h/2, false)
		}
		if !b.OpenRear {
			skin("skin of the rear", 1, w*h, l, h/2, b.RampDoor || b.Leaves > 0)
		}
		if b.Roof {
			skin("skin of the roof", 1, l*w, l/2, h, false)
		}
	}
	return out
}

// BoxMass is what its pieces weigh together, kg, more by builtDoubt for screws and paint, and where their centre lies.
func BoxMass(b *plan.BoxBody) (m quantity.Range[float64], back, up float64) {
	for _, p := range BoxPieces(b) {
		n := float64(p.Count)
		m.Low, m.Nominal, m.High = m.Low+n*p.Each.Low, m.Nominal+n*p.Each.Nominal, m.High+n*p.Each.High
		back, up = back+n*p.Each.Nominal*p.Back, up+n*p.Each.Nominal*p.Up
	}
	if !(m.Nominal > 0) {
		return quantity.Range[float64]{}, 0, 0
	}
	back, up = back/m.Nominal, up/m.Nominal
	m.Low, m.High = m.Low*(1-builtDoubt), m.High*(1+builtDoubt)
	return m, back, up
}

// boxed is a part with mass, size and centre as its body makes them; a mass that is stated stays, as one that was weighed.
func boxed(p plan.Part) plan.Part {
	length := func(v float64) *plan.LengthEstimate {
		return &plan.LengthEstimate{Value: quantity.Length(v), PlusMinus: new(plan.LengthDoubt), How: plan.Weighed}
	}
	b := p.Box
	p.Size = plan.Size{
		Length: length(float64(b.Long)),
		Width:  length(float64(b.Wide)),
		Height: length(float64(b.High)),
	}
	m, back, up := BoxMass(b)
	if !(m.Nominal > 0) {
		return p
	}
	if p.Mass == nil {
		share := math.Max(m.High-m.Nominal, m.Nominal-m.Low) / m.Nominal
		p.Mass = &plan.MassEstimate{Value: quantity.Mass(m.Nominal), Relative: &share, How: plan.Typical}
	}
	p.Centre = plan.Centre{Back: length(back), Right: length(0), Up: length(up)}
	return p
}
