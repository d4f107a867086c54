// Package statics holds the see-saw: a trailer as a beam on the ball and one
// axle (or the middle of one axle group), and the exact ranges of what they
// bear while every uncertain input moves within its doubt.
//
// The formulas stand in docs/method/balance.md and docs/method/ranges.md.
package statics

import (
	"cmp"
	"math"
	"slices"

	"zygonos/core/quantity"
)

// Term is one uncertain mass p that presses on the beam. At axle distance L
// behind the ball, each kilogram of it
//
//	adds InMass to the rig's mass,
//	adds OnAxle·L + Arm to the moment about the ball (m),
//	adds Side to the moment about the centreline (m).
//
// A load at x behind the ball is {InMass: 1, Arm: x}. A ball reading is
// {InMass: 1}, an axle reading {InMass: 1, OnAxle: 1}: where the axle has not
// moved since, no length enters. InMass is 0 for a mass that is counted in
// another term and only lies elsewhere, and −1 for a thing taken off.
type Term struct {
	Path   string // the guess: what a weighing would settle
	Name   string
	How    string                  // how the amount is known
	Amount quantity.Range[float64] // kg, not negative
	InMass float64
	OnAxle quantity.Range[float64]
	Arm    quantity.Range[float64] // m
	Side   quantity.Range[float64] // m
	Place  string                  // the guess behind Arm
}

// Beam is the loaded trailer on ball and axle.
type Beam struct {
	Terms []Term
	Axle  quantity.Range[float64] // L, m behind the ball, more than nought
	Track float64                 // m between the tyres' middles; 0 where not known
}

// Bears is what a beam's supports bear, kg, with the exact ranges.
type Bears struct {
	Mass, Ball, OnAxle quantity.Range[float64]
	Share              *quantity.Range[float64] // ball/mass; nil where the mass may be nought
	Left, Right        *quantity.Range[float64] // wheels; nil where the track is not known
}

// Solve gives what ball, axle and wheels bear. ok is false where the axle does
// not stand behind the ball. For fixed masses ball load and share grow with L,
// or fall with it, throughout; so the two ends of L and, for each, the ends of
// every other input hold the extremes.
func (b *Beam) Solve() (out Bears, ok bool) {
	if !(b.Axle.Low > 0) || len(b.Terms) == 0 {
		return Bears{}, false
	}
	out.Mass = b.sum(b.Axle.Nominal, massOf)
	out.Ball = b.overAxle(ballOf)
	out.OnAxle = b.overAxle(axleOf)
	if out.Mass.Low > 0 {
		s := b.share()
		out.Share = &s
	}
	if b.Track > 0 {
		left, right := b.overAxle(wheelOf(b.Track, -1)), b.overAxle(wheelOf(b.Track, 1))
		out.Left, out.Right = &left, &right
	}
	return out, true
}

// coefficient is what one kilogram of a term adds, for a given L, as a range
// over the term's own places.
type coefficient func(t *Term, l float64) quantity.Range[float64]

func massOf(t *Term, _ float64) quantity.Range[float64] { return quantity.Exactly(t.InMass) }

// axleOf: (OnAxle·L + Arm)/L.
func axleOf(t *Term, l float64) quantity.Range[float64] {
	return quantity.Range[float64]{
		Nominal: t.OnAxle.Nominal + t.Arm.Nominal/l,
		Low:     t.OnAxle.Low + t.Arm.Low/l,
		High:    t.OnAxle.High + t.Arm.High/l,
	}
}

// ballOf: InMass − (OnAxle·L + Arm)/L, which is (L − x)/L for a load at x.
func ballOf(t *Term, l float64) quantity.Range[float64] {
	a := axleOf(t, l)
	return quantity.Range[float64]{Nominal: t.InMass - a.Nominal, Low: t.InMass - a.High, High: t.InMass - a.Low}
}

// wheelOf: half of the axle's part, plus or minus Side/track.
func wheelOf(track, sign float64) coefficient {
	return func(t *Term, l float64) quantity.Range[float64] {
		a := axleOf(t, l)
		lo, hi := t.Side.Low, t.Side.High
		if sign < 0 {
			lo, hi = -hi, -lo
		}
		return quantity.Range[float64]{
			Nominal: a.Nominal/2 + sign*t.Side.Nominal/track,
			Low:     a.Low/2 + lo/track,
			High:    a.High/2 + hi/track,
		}
	}
}

// sum gives Σ p·c: as masses are not negative each product has its extremes at
// the ends of its two factors, whatever the other products do.
func (b *Beam) sum(l float64, c coefficient) (r quantity.Range[float64]) {
	for i := range b.Terms {
		t := &b.Terms[i]
		k := c(t, l)
		r.Nominal += t.Amount.Nominal * k.Nominal
		r.Low += min(t.Amount.Low*k.Low, t.Amount.High*k.Low)
		r.High += max(t.Amount.Low*k.High, t.Amount.High*k.High)
	}
	return r
}

func (b *Beam) overAxle(c coefficient) quantity.Range[float64] {
	r := b.sum(b.Axle.Low, c)
	far := b.sum(b.Axle.High, c)
	return quantity.Range[float64]{
		Nominal: b.sum(b.Axle.Nominal, c).Nominal,
		Low:     min(r.Low, far.Low),
		High:    max(r.High, far.High),
	}
}

// share gives the range of Σcᵢpᵢ/Σdᵢpᵢ.
func (b *Beam) share() quantity.Range[float64] {
	n := b.sum(b.Axle.Nominal, ballOf).Nominal / b.sum(b.Axle.Nominal, massOf).Nominal
	r := quantity.Range[float64]{Nominal: n, Low: n, High: n}
	terms := make([]fraction, len(b.Terms))
	for _, l := range []float64{b.Axle.Low, b.Axle.High} {
		for i := range b.Terms {
			t := &b.Terms[i]
			terms[i] = fraction{t.Amount.Low, t.Amount.High, ballOf(t, l).High, t.InMass}
		}
		r.High = max(r.High, greatestRatio(terms))
		for i := range b.Terms {
			t := &b.Terms[i]
			terms[i] = fraction{t.Amount.Low, t.Amount.High, -ballOf(t, l).Low, t.InMass}
		}
		r.Low = min(r.Low, -greatestRatio(terms))
	}
	return r
}

// fraction is one term of Σc·p/Σd·p with p between lo and hi.
type fraction struct{ lo, hi, c, d float64 }

func (f fraction) breaks() float64 { return f.c / f.d }

// greatestRatio maximises Σcᵢpᵢ/Σdᵢpᵢ over the box of the pᵢ, where the
// denominator is positive throughout. At the greatest ratio λ each pᵢ stands
// at its high end where cᵢ − λdᵢ > 0 and at its low end where it is less; so,
// as λ comes down from above, terms change ends one by one in the order of
// cᵢ/dᵢ, and one of these n + 1 settings is the best: exact, in n log n.
// It sorts terms.
func greatestRatio(terms []fraction) float64 {
	num, den := 0.0, 0.0
	flips := terms[:0]
	for _, t := range terms {
		p := t.lo
		if t.d < 0 || t.d == 0 && t.c > 0 {
			p = t.hi
		}
		num += t.c * p
		den += t.d * p
		if t.d != 0 && t.hi > t.lo {
			flips = append(flips, t)
		}
	}
	slices.SortFunc(flips, func(a, b fraction) int { return cmp.Compare(b.breaks(), a.breaks()) })
	best := num / den
	for _, t := range flips {
		step := t.hi - t.lo
		if t.d < 0 {
			step = -step
		}
		num += t.c * step
		den += t.d * step
		best = math.Max(best, num/den)
	}
	return best
}

// AtLeastEither gives the least that max(share − low·mass, ball − floor) can
// be, in kg: the margin of "at least low of the mass, or at least floor". By
// duality it is the greatest over θ in [0, low] of the least of
// ball − θ·mass − (1 − θ/low)·floor, a concave piecewise linear function of θ
// whose corners lie at the terms' own ratios.
func (b *Beam) AtLeastEither(low, floor float64) float64 {
	least := math.Inf(1)
	for _, l := range []float64{b.Axle.Low, b.Axle.High} {
		at := func(theta float64) float64 {
			v := -(1 - theta/low) * floor
			for i := range b.Terms {
				t := &b.Terms[i]
				c := ballOf(t, l).Low - theta*t.InMass
				v += min(c*t.Amount.Low, c*t.Amount.High)
			}
			return v
		}
		best := math.Max(at(0), at(low))
		for i := range b.Terms {
			if t := &b.Terms[i]; t.InMass != 0 {
				if theta := ballOf(t, l).Low / t.InMass; theta > 0 && theta < low {
					best = math.Max(best, at(theta))
				}
			}
		}
		least = math.Min(least, best)
	}
	return least
}

// Guess is how much one uncertain input widens the ball load's range.
type Guess struct {
	Path  string  // of the mass or the place
	Name  string  // of the thing
	Width float64 // kg of ball load
	Place bool    // the place is in doubt, not the mass
}

// Guesses lists what widens the range of the ball load, widest first.
func (b *Beam) Guesses() []Guess {
	var out []Guess
	l := b.Axle.Nominal
	for i := range b.Terms {
		t := &b.Terms[i]
		a := ballOf(t, l)
		if w := math.Abs(a.Nominal) * t.Amount.Width(); w > 0 {
			out = append(out, Guess{t.Path, t.Name, w, false})
		}
		if w := a.Width() * t.Amount.Nominal; w > 0 && t.Place != "" {
			out = append(out, Guess{t.Place, t.Name, w, true})
		}
	}
	slices.SortStableFunc(out, func(a, b Guess) int { return cmp.Compare(b.Width, a.Width) })
	return out
}

// BreakEven gives the mass of the guess at path at which the ball's share of
// the mass comes to share, all else nominal; ok is false where no mass does.
func (b *Beam) BreakEven(path string, share float64) (mass float64, ok bool) {
	num, den, c, d := 0.0, 0.0, 0.0, 0.0
	for i := range b.Terms {
		t := &b.Terms[i]
		a := ballOf(t, b.Axle.Nominal).Nominal
		if t.Path == path {
			c, d = c+a, d+t.InMass
			continue
		}
		num += a * t.Amount.Nominal
		den += t.InMass * t.Amount.Nominal
	}
	if math.Abs(c-share*d) < 1e-9 {
		return 0, false
	}
	mass = (share*den - num) / (c - share*d)
	return mass, mass >= 0 && quantity.Finite(mass)
}
