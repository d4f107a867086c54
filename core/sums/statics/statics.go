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

	"zygonos/core/lang/quantity"
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
//
// Low and High of a place are its two ends, not sorted: where two terms share one
// doubt, as a body and what is counted in it, the low ends of both belong together, and
// so do the high ones.
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
	Group  string                  // of an optional thing: all terms of a group are there, or none
	Shift  bool                    // no mass: OnAxle is a weight, kg, that goes from ball to axle
}

// Beam is the loaded trailer on ball and axle.
type Beam struct {
	Terms []Term
	Axle  quantity.Range[float64] // L, m behind the ball, more than zero
	Track float64                 // m between the tyres' middles; 0 where not known
}

// Bears is what a beam's supports bear, kg, with the exact ranges.
type Bears struct {
	Mass, Ball, OnAxle quantity.Range[float64]
	Share              *quantity.Range[float64] // ball/mass; nil where the mass may be zero
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
		s := b.shareOf(ballOf)
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
//
// An optional thing adds its own extreme, or nothing where that is more extreme.
func (b *Beam) sum(l float64, c coefficient) (r quantity.Range[float64]) {
	var low, high float64 // of the running group
	for i := range b.Terms {
		t := &b.Terms[i]
		k := c(t, l)
		r.Nominal += t.Amount.Nominal * k.Nominal
		lo := min(t.Amount.Low*k.Low, t.Amount.High*k.Low)
		hi := max(t.Amount.Low*k.High, t.Amount.High*k.High)
		if t.Group == "" {
			r.Low += lo
			r.High += hi
			continue
		}
		low, high = low+lo, high+hi
		if i+1 == len(b.Terms) || b.Terms[i+1].Group != t.Group { // a group's terms stand together
			r.Low += min(0, low)
			r.High += max(0, high)
			low, high = 0, 0
		}
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

// WheelShares are the shares of the mass that the left and the right wheels bear, with
// their exact ranges; ok is false where the track is not known or the mass may be zero.
func (b *Beam) WheelShares() (left, right quantity.Range[float64], ok bool) {
	if !(b.Track > 0) || !(b.Axle.Low > 0) || len(b.Terms) == 0 || b.sum(b.Axle.Nominal, massOf).Low <= 0 {
		return left, right, false
	}
	return b.shareOf(wheelOf(b.Track, -1)), b.shareOf(wheelOf(b.Track, 1)), true
}

// shareOf gives the range of Σcᵢpᵢ/Σdᵢpᵢ, c as asked and d the mass.
func (b *Beam) shareOf(c coefficient) quantity.Range[float64] {
	n := b.sum(b.Axle.Nominal, c).Nominal / b.sum(b.Axle.Nominal, massOf).Nominal
	r := quantity.Range[float64]{Nominal: n, Low: n, High: n}
	terms := make([]fraction, len(b.Terms))
	for _, l := range []float64{b.Axle.Low, b.Axle.High} {
		r.High = max(r.High, greatestRatio(b.fractions(terms, c, l, 1)))
		r.Low = min(r.Low, -greatestRatio(b.fractions(terms, c, l, -1)))
	}
	return r
}

// fractions are the terms of the greatest share (sign 1) or of the negative of
// the least (sign −1), at L.
func (b *Beam) fractions(terms []fraction, of coefficient, l, sign float64) []fraction {
	terms = terms[:len(b.Terms)]
	for i := range b.Terms {
		t := &b.Terms[i]
		c := of(t, l).High
		if sign < 0 {
			c = -of(t, l).Low
		}
		terms[i] = fraction{t.Amount.Low, t.Amount.High, c, t.InMass, t.Group}
	}
	return terms
}

// States is the beam with every amount at its nominal value and only what is
// optional coming and going: its ranges are those over all states.
func (b *Beam) States() *Beam {
	out := *b
	out.Axle = quantity.Exactly(b.Axle.Nominal)
	out.Terms = slices.Clone(b.Terms)
	for i := range out.Terms {
		t := &out.Terms[i]
		t.Amount, t.OnAxle = quantity.Exactly(t.Amount.Nominal), quantity.Exactly(t.OnAxle.Nominal)
		t.Arm, t.Side = quantity.Exactly(t.Arm.Nominal), quantity.Exactly(t.Side.Nominal)
	}
	return &out
}

// Optional reports whether anything may be absent.
func (b *Beam) Optional() bool {
	return slices.ContainsFunc(b.Terms, func(t Term) bool { return t.Group != "" })
}

// Absent lists the groups that are away where the share is least, or greatest:
// those whose terms, at that share λ, would take it further back, Σ(c − λd)p ≥ 0.
func (b *Beam) Absent(greatest bool) []string {
	if !b.Optional() || b.sum(b.Axle.Nominal, massOf).Low <= 0 {
		return nil
	}
	s := b.shareOf(ballOf)
	sign, lambda := -1.0, -s.Low
	if greatest {
		sign, lambda = 1, s.High
	}
	terms := b.fractions(make([]fraction, len(b.Terms)), ballOf, b.Axle.Nominal, sign)
	var out []string
	for i := 0; i < len(terms); {
		j, gain := i, 0.0
		for ; j < len(terms) && terms[j].group == terms[i].group && (j == i || terms[i].group != ""); j++ {
			gain += terms[j].gain(lambda)
		}
		if terms[i].group != "" && gain < 0 {
			out = append(out, terms[i].group)
		}
		i = j
	}
	return out
}

// fraction is one term of Σc·p/Σd·p with p between lo and hi; the terms of a
// group are there together or not at all.
type fraction struct {
	lo, hi, c, d float64
	group        string
}

func (f fraction) breaks() float64 { return f.c / f.d }

// gain is the most that the term adds to Σ(c − λd)·p.
func (f fraction) gain(lambda float64) float64 {
	k := f.c - lambda*f.d
	return max(k*f.lo, k*f.hi)
}

// greatestRatio maximises Σcᵢpᵢ/Σdᵢpᵢ over the box of the pᵢ, where the
// denominator is positive throughout. At the greatest ratio λ each pᵢ stands
// at its high end where cᵢ − λdᵢ > 0 and at its low end where it is less; so,
// as λ comes down from above, terms change ends one by one in the order of
// cᵢ/dᵢ, and one of these n + 1 settings is the best: exact, in n log n.
// It sorts terms. An optional term has a low end of zero; where a group has
// several terms that come and go together, the setting is found by iteration.
func greatestRatio(terms []fraction) float64 {
	num, den := 0.0, 0.0
	for i := range terms {
		if terms[i].group == "" {
			continue
		}
		if i > 0 && terms[i-1].group == terms[i].group {
			return greatestOfGroups(terms)
		}
	}
	flips := terms[:0]
	for _, t := range terms {
		if t.group != "" {
			t.lo = 0
		}
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

// greatestOfGroups maximises Σc·p/Σd·p where groups come and go as a whole: at a
// guess λ each single term takes the end that adds most to Σ(c − λd)p, each group
// is there when its terms together add to it; the ratio of that setting is the
// next λ (Dinkelbach 1967). It grows at every step, and there are finitely many
// settings, so it ends at the greatest.
func greatestOfGroups(terms []fraction) float64 {
	num, den := 0.0, 0.0 // to begin with, what is there for good
	for _, t := range terms {
		if t.group == "" {
			num, den = num+t.c*t.lo, den+t.d*t.lo
		}
	}
	lambda := num / den
	for range 100 {
		num, den = 0, 0
		for i := 0; i < len(terms); {
			j, n, d := i, 0.0, 0.0
			for ; j < len(terms) && (j == i || terms[i].group != "" && terms[j].group == terms[i].group); j++ {
				t := terms[j]
				p := t.lo
				if t.c-lambda*t.d > 0 {
					p = t.hi
				}
				n, d = n+t.c*p, d+t.d*p
			}
			if terms[i].group == "" || n-lambda*d > 0 {
				num, den = num+n, den+d
			}
			i = j
		}
		next := num / den
		if next <= lambda+1e-14*math.Abs(lambda) {
			break
		}
		lambda = next
	}
	return lambda
}

// AtLeastEither gives the least that max(share − low·mass, ball − floor) can
// be, in kg: the margin of "at least low of the mass, or at least floor". By
// duality it is the greatest over θ in [0, low] of the least of
// ball − θ·mass − (1 − θ/low)·floor, a concave piecewise linear function of θ
// whose corners lie at the terms' own ratios. With optional things it is a bound:
// no state comes to less.
func (b *Beam) AtLeastEither(low, floor float64) float64 {
	least := math.Inf(1)
	for _, l := range []float64{b.Axle.Low, b.Axle.High} {
		at := func(theta float64) float64 {
			v := -(1 - theta/low) * floor
			for i := range b.Terms {
				t := &b.Terms[i]
				c := ballOf(t, l).Low - theta*t.InMass
				least := min(c*t.Amount.Low, c*t.Amount.High)
				if t.Group != "" {
					least = min(0, least)
				}
				v += least
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
	at := map[string]int{} // of a place in out: terms of one place widen it together
	for i := range b.Terms {
		t := &b.Terms[i]
		a := ballOf(t, l)
		if w := math.Abs(a.Nominal) * t.Amount.Width(); w > 0 {
			out = append(out, Guess{t.Path, t.Name, w, false})
		}
		if w := a.Width() * t.Amount.Nominal; w != 0 && t.Place != "" {
			k, ok := at[t.Place]
			if !ok {
				k = len(out)
				at[t.Place], out = k, append(out, Guess{t.Place, t.Name, 0, true})
			}
			out[k].Width += w
		}
	}
	for i := range out {
		out[i].Width = math.Abs(out[i].Width)
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
