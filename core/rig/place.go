package rig

import (
	"math"

	"zygonos/core/goods"
	"zygonos/core/lang/quantity"
	"zygonos/core/plan"
)

// point is a place in the rig's axes, m.
type point struct{ x, y, z float64 }

func (p point) at(s plan.Spot) point {
	return point{p.x + float64(s.Back), p.y + float64(s.Right), p.z + float64(s.Up)}
}

// Defaults where the plan states nothing; they shape the drawing and, with
// their doubt, the sums.
const (
	defaultDeckHeight = 0.55
	defaultDeckLength = 2.4
	defaultDeckWidth  = 1.25
	defaultTrack      = 1.5
	centreDoubt       = 0.05 // of the box, where the centre is not stated
	assumedDoubt      = 0.15 // m at least, more where the length is not stated either
	assumedShare      = 0.10 // of the length that its kind usually has: that may be a fifth shorter or longer …
	assumedHull       = 0.15 // … of hulls, whose kinds run from short to long, three tenths
	centreHeight      = 0.45 // of the height
)

func (r *Rig) deckFrame() point {
	x := 1.2
	if r.DeckFront != nil {
		x = r.DeckFront.Nominal
	}
	return point{x, 0, r.DeckHeight()}
}

// DeckHeight is the stated one, or the usual one for the drawing.
func (r *Rig) DeckHeight() float64 { return valueOr(r.Trailer.DeckHeight, defaultDeckHeight) }

// DeckLength is the stated one, or the usual one for the drawing.
func (r *Rig) DeckLength() float64 { return valueOr(r.Trailer.DeckLength, defaultDeckLength) }

// DeckWidth is the stated one, or the usual one for the drawing.
func (r *Rig) DeckWidth() float64 { return valueOr(r.Trailer.DeckWidth, defaultDeckWidth) }

// Bed is the box that loose material lies in: the deck within its sides.
func (r *Rig) Bed() goods.Bed {
	b := goods.Bed{Length: r.DeckLength(), Width: r.DeckWidth()}
	if s := r.Trailer.SideHeight; s != nil {
		b.Side = float64(*s)
	}
	return b
}

// Deck gives the front and rear edge of the deck behind the ball.
func (r *Rig) Deck() (front, rear float64) {
	front = r.deckFrame().x
	return front, front + r.DeckLength()
}

func valueOr(e *plan.LengthEstimate, usual float64) float64 {
	if e == nil {
		return usual
	}
	return float64(e.Value)
}

// thing is what place needs of a load or a part.
type thing struct {
	size    plan.Size
	centre  plan.Centre
	shape   string
	typical [3]float64 // length, width, height of its kind
	own     [3]float64 // as its goods lie; zeros where they do not say

	centreLow, centreHigh float64 // of its kind, share of the length; zeros: the middle
	centreUp              float64 // share of the height; zero: centreHeight

	lean float64 // about its length, rad: docs/method/rack.md
}

func (t *thing) dimension(i int) (v float64, stated bool) {
	e := [3]*plan.LengthEstimate{t.size.Length, t.size.Width, t.size.Height}[i]
	if t.own[i] > 0 {
		return t.own[i], true
	}
	if e != nil {
		return float64(e.Value), true
	}
	if t.typical[i] > 0 {
		return t.typical[i], false
	}
	return [3]float64{0.8, 0.6, 0.5}[i], false
}

// place puts a thing with its near face at a spot of a frame and turns it
// clockwise, seen from above. It gives the item and the ranges of its centre
// behind the ball and to the right.
func (r *Rig) place(t thing, frame point, at plan.Spot, turn int) (it Item, x, y span) {
	l, stated := t.dimension(0)
	w, _ := t.dimension(1)
	h, _ := t.dimension(2)
	o := frame.at(at)
	section := [2]float64{w, h}
	c, s := math.Abs(math.Cos(t.lean)), math.Abs(math.Sin(t.lean))
	if t.lean != 0 { // its section lies within the box that leans
		w, h = w*c+h*s, w*s+h*c
	}
	along, across := l, w
	if turn == 90 || turn == 270 {
		along, across = w, l
	}
	it = Item{
		Shape: t.shape,
		Front: o.x, Rear: o.x + along,
		Left: o.y - across/2, Right: o.y + across/2,
		Bottom: o.z, Top: o.z + h,
		Lean: t.lean, Section: section, Turn: turn,
	}
	back := quantity.Range[float64]{Nominal: l / 2, Low: l/2 - l*centreDoubt, High: l/2 + l*centreDoubt}
	if t.centreHigh > 0 {
		back = quantity.Range[float64]{
			Nominal: l * (t.centreLow + t.centreHigh) / 2,
			Low:     l * t.centreLow,
			High:    l * t.centreHigh,
		}
	}
	if !stated {
		share := assumedShare
		if t.shape == "hull" {
			share = assumedHull
		}
		d := math.Max(assumedDoubt, share*l)
		back.Low, back.High = back.Low-d, back.High+d
	}
	back = widened(back, r.longAs(&t))
	if t.centre.Back != nil {
		back = t.centre.Back.Range().Floats()
	}
	right := quantity.Range[float64]{Low: -section[0] * centreDoubt, High: section[0] * centreDoubt}
	if t.centre.Right != nil {
		right = t.centre.Right.Range().Floats()
	}
	up := t.up(section[1])
	if t.lean != 0 {
		aside, z := lay(right.Nominal, up, section[1], t.lean, h)
		d := max(right.High-right.Nominal, right.Nominal-right.Low) * math.Abs(math.Cos(t.lean))
		right, up = quantity.Range[float64]{Nominal: aside, Low: aside - d, High: aside + d}, z
	}
	switch turn {
	case 90:
		x, y = right.Plus(o.x+w/2), negative(back).Plus(o.y+l/2)
	case 180:
		x, y = negative(back).Plus(o.x+l), negative(right).Plus(o.y)
	case 270:
		x, y = negative(right).Plus(o.x+w/2), back.Plus(o.y-l/2)
	default:
		x, y = back.Plus(o.x), right.Plus(o.y)
	}
	it.X, it.Y, it.Z = x.Nominal, y.Nominal, o.z+up
	d := float64(plan.PlaceDoubt)
	if r.DeckFront != nil {
		d += r.DeckFront.Width() / 2
	}
	x.Low, x.High = x.Low-d, x.High+d
	y.Low, y.High = y.Low-float64(plan.PlaceDoubt), y.High+float64(plan.PlaceDoubt)
	return it, x, y
}

// longAs is where a thing's length is stated: its own, or the deck's where what is poured fills that; nil
// where nowhere.
func (r *Rig) longAs(t *thing) *plan.LengthEstimate {
	switch {
	case t.own[0] <= 0:
		return t.size.Length
	case t.own[0] == r.DeckLength():
		return r.Trailer.DeckLength
	}
	return nil
}

// widened is the place of a centre behind its thing's front with the doubt of the thing's length: where
// that is only guessed its middle moves by the centre's share of it. What a tape leaves is within the
// doubt of where a thing is put, so that only what goes beyond it is added.
func widened(back span, long *plan.LengthEstimate) span {
	if long == nil || long.Value <= 0 {
		return back
	}
	l, d := float64(long.Value), float64(long.Range().Width())/2
	beyond := func(at float64) float64 { return math.Max(0, d*at/l-float64(plan.PlaceDoubt)) }
	back.Low, back.High = back.Low-beyond(back.Low), back.High+beyond(back.High)
	return back
}

// up is how high the bare thing's centre lies in its section of height h, m.
func (t *thing) up(h float64) float64 {
	switch {
	case t.centre.Up != nil:
		return float64(t.centre.Up.Value)
	case t.centreUp > 0:
		return h * t.centreUp
	}
	return h * centreHeight
}

// lay turns a spot in a section of height h about the section's middle, its top to the
// right: how far it then lies aside and how high in the box of height boxed that the
// section fills.
func lay(right, up, h, lean, boxed float64) (aside, z float64) {
	if lean == 0 {
		return right, up
	}
	over := up - h/2
	c, s := math.Cos(lean), math.Sin(lean)
	return right*c + over*s, boxed/2 + over*c - right*s
}

func negative(r span) span { return span{Nominal: -r.Nominal, Low: -r.High, High: -r.Low} }
