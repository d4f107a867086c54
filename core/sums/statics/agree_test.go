package statics

import (
	"errors"
	"math"
	"math/rand/v2"
	"testing"

	"zygonos/core/lang/quantity"
)

func between(n, lo, hi float64) quantity.Range[float64] {
	return quantity.Range[float64]{Nominal: n, Low: lo, High: hi}
}

// An empty trailer of 200 kg at 2.3 of 2.5 m and a load of 100 (60 to 140) at 1.5:
// the ball bears 16 + 0.4·m = 56 (40 to 72). A scale that reads 48 ± 2 says that
// m lies between (46 − 16)/0.4 = 75 and 85, nearest to the stated 100: 85.
func TestAgreeByHand(t *testing.T) {
	b := Beam{Axle: exact(2.5), Terms: []Term{load(200, 2.3, 0), load(100, 1.5, 0)}}
	b.Terms[1].Amount = between(100, 60, 140)
	r := Reading{Scale: ScaleBall, Range: between(48, 46, 50)}
	e := b.Expect(r)
	near(t, "expected", e.Nominal, 56)
	near(t, "expected at least", e.Low, 40)
	near(t, "expected at most", e.High, 72)
	got, err := b.Agree([]Reading{r})
	if err != nil {
		t.Fatal(err)
	}
	near(t, "low", got[1].Low, 75)
	near(t, "high", got[1].High, 85)
	near(t, "nominal", got[1].Nominal, 85)
	near(t, "what is sure stays", got[0].Nominal, 200)
	// The share: (16 + 0.4·m)/(200 + m), m from 75 to 85: 46/275 to 50/285.
	share, err := b.AgreeShare([]Reading{r})
	if err != nil {
		t.Fatal(err)
	}
	near(t, "share low", share.Low, 46.0/275)
	near(t, "share high", share.High, 50.0/285)
	// A second scale under both wheels: (460 + 1.5·m)/2.5 = 184 + 0.6·m reads 232 ± 1: 78.3 to 81.7.
	got, err = b.Agree([]Reading{r, {Scale: ScaleAxle, Range: between(232, 231, 233)}})
	if err != nil {
		t.Fatal(err)
	}
	near(t, "low of two", got[1].Low, 47/0.6)
	near(t, "high of two", got[1].High, 49/0.6)
	// 30 ± 2 would ask for 30 to 40 kg: the load cannot be 60 or more.
	bad := []Reading{{Scale: ScaleBall, Range: between(30, 28, 32)}}
	if _, err := b.Agree(bad); !errors.Is(err, ErrDisagree) {
		t.Errorf("got %v", err)
	}
	s := b.Suspects(bad)
	if r, ok := s[1]; !ok || math.Abs(r.Low-30) > 1e-6 || math.Abs(r.High-40) > 1e-6 {
		t.Errorf("suspects %v", s)
	}
	// A scale 0.5 m behind the ball reads 2.5/2 of it.
	near(t, "shorter lever", b.Expect(Reading{Scale: ScaleBall, At: 0.5}).Nominal, 56*1.25)
	// Nothing in doubt: the readings agree or they do not.
	sure := Beam{Axle: exact(2.5), Terms: []Term{load(200, 2.3, 0)}}
	if _, err := sure.Agree([]Reading{{Scale: ScaleBall, Range: between(16, 15, 17)}}); err != nil {
		t.Error(err)
	}
	if _, err := sure.Agree([]Reading{{Scale: ScaleBall, Range: between(20, 19, 21)}}); !errors.Is(err, ErrDisagree) {
		t.Errorf("got %v", err)
	}
}

// Random beams, against points drawn at random: each that agrees lies within
// the bounds, and the bounds are met by points that agree at the best place.
func TestAgreeAgainstSamples(t *testing.T) {
	r := rand.New(rand.NewPCG(31, 32))
	told := 0
	for range 120 {
		b := Beam{Axle: exact(2 + r.Float64())}
		truth := []float64{}
		for range 2 + r.IntN(3) {
			m := 50 + 200*r.Float64()
			b.Terms = append(b.Terms, Term{InMass: 1, Amount: between(m, m*0.7, m*1.3), Arm: exact(4 * r.Float64())})
			truth = append(truth, m*(0.75+0.5*r.Float64()))
		}
		var readings []Reading
		for _, s := range []Scale{ScaleBall, ScaleAxle, ScaleWhole}[:1+r.IntN(3)] {
			c, _ := b.coefficients(Reading{Scale: s})
			v := 0.0
			for i := range c {
				v += c[i] * truth[i]
			}
			readings = append(readings, Reading{Scale: s, Range: between(v, v-3, v+3)})
		}
		got, err := b.Agree(readings)
		if err != nil {
			t.Fatalf("the truth agrees, and yet: %v", err)
		}
		agrees := func(p []float64) bool {
			for _, rd := range readings {
				c, _ := b.coefficients(rd)
				v := 0.0
				for i := range c {
					v += c[i] * p[i]
				}
				if v < rd.Range.Low-1e-9 || v > rd.Range.High+1e-9 {
					return false
				}
			}
			return true
		}
		for i := range got {
			if truth[i] < got[i].Low-1e-6 || truth[i] > got[i].High+1e-6 {
				t.Errorf("the truth %v lies outside %+v", truth[i], got[i])
			}
			if got[i].Width() < b.Terms[i].Amount.Width()-1e-6 {
				told++
			}
		}
		for range 400 {
			p := make([]float64, len(truth))
			for i := range p {
				a := b.Terms[i].Amount
				p[i] = a.Low + r.Float64()*a.Width()
			}
			if !agrees(p) {
				continue
			}
			for i := range p {
				if p[i] < got[i].Low-1e-6 || p[i] > got[i].High+1e-6 {
					t.Fatalf("%v agrees and lies outside %+v", p[i], got[i])
				}
			}
		}
	}
	if told < 50 {
		t.Errorf("only %d guesses were narrowed", told)
	}
}

func BenchmarkAgree(b *testing.B) {
	beam := Beam{Axle: exact(2.5)}
	for i := range 10 {
		beam.Terms = append(beam.Terms, Term{InMass: 1, Amount: between(50, 40, 60), Arm: exact(0.3 * float64(i+1))})
	}
	rs := []Reading{{Scale: ScaleBall, Range: between(180, 176, 184)}, {Scale: ScaleWhole, Range: between(505, 500, 510)}}
	for b.Loop() {
		if _, err := beam.Agree(rs); err != nil {
			b.Fatal(err)
		}
	}
}

// More guesses than the programmes take are stated, not waited for.
func TestAgreeTooMany(t *testing.T) {
	b := Beam{Axle: exact(2.5)}
	for range MaxDoubts + 1 {
		b.Terms = append(b.Terms, Term{InMass: 1, Amount: between(5, 4, 6), Arm: exact(2)})
	}
	rs := []Reading{{Scale: ScaleWhole, Range: between(200, 199, 201)}}
	if _, err := b.Agree(rs); !errors.Is(err, ErrTooMany) {
		t.Errorf("got %v", err)
	}
	if _, err := b.AgreeShare(rs); !errors.Is(err, ErrTooMany) {
		t.Errorf("got %v", err)
	}
	if s := b.Suspects(rs); len(s) > MaxDoubts+1 {
		t.Errorf("%d suspects", len(s))
	}
}
