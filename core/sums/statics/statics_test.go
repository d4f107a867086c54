package statics

import (
	"fmt"
	"math"
	"math/rand/v2"
	"testing"

	"zygonos/core/lang/quantity"
)

func exact(v float64) quantity.Range[float64] { return quantity.Exactly(v) }

func load(m, x, y float64) Term {
	return Term{Amount: exact(m), InMass: 1, Arm: exact(x), Side: exact(y)}
}

func near(t *testing.T, what string, got, want float64) {
	t.Helper()
	if math.Abs(got-want) > 1e-9*math.Max(1, math.Abs(want)) {
		t.Errorf("%s: got %.12g, want %.12g", what, got, want)
	}
}

// Worked by hand in docs/method/balance.md: an empty trailer of 220 kg with
// 18 kg on the ball and its axle 2.8 m behind it; a 400 kg box at 2.55 m and
// 0.1 m to the right; track 1.4 m.
//
//	ball  = 18 + 400·(2.8 − 2.55)/2.8 = 53.714285…
//	axle  = 620 − 53.714285…          = 566.285714…
//	right = 566.2857/2 + 400·0.1/1.4  = 311.714285…
func TestByHand(t *testing.T) {
	b := Beam{Axle: exact(2.8), Track: 1.4, Terms: []Term{
		{Amount: exact(220), InMass: 1, OnAxle: exact(1)},
		{Amount: exact(18), OnAxle: exact(-1)},
		load(400, 2.55, 0.1),
	}}
	got, ok := b.Solve()
	if !ok {
		t.Fatal("not solved")
	}
	near(t, "ball", got.Ball.Nominal, 53.714285714285714)
	near(t, "axle", got.OnAxle.Nominal, 566.28571428571433)
	near(t, "mass", got.Mass.Nominal, 620)
	near(t, "share", got.Share.Nominal, 0.0866359447004608)
	near(t, "right", got.Right.Nominal, 311.7142857142857)
	near(t, "left", got.Left.Nominal, 254.57142857142858)
	near(t, "width", got.Ball.Width(), 0)
}

// A weighing made with the axle at 2.6 m: ball 40, axle 180, running gear 60.
// Moved to 2.8 m the body's moment is (180 − 60)·2.6 = 312 kg·m, so the ball
// bears 160 − 312/2.8 = 48.571428….
func TestAxleMoved(t *testing.T) {
	b := Beam{Axle: exact(2.8), Terms: []Term{
		{Amount: exact(40), InMass: 1},
		{Amount: exact(180), InMass: 1, Arm: exact(2.6)},
		{Amount: exact(60), OnAxle: exact(1), Arm: exact(-2.6)},
	}}
	got, _ := b.Solve()
	near(t, "ball", got.Ball.Nominal, 48.57142857142857)
	near(t, "mass", got.Mass.Nominal, 220)
}

func TestRefuses(t *testing.T) {
	for _, l := range []float64{0, -1, math.NaN()} {
		b := Beam{Axle: exact(l), Terms: []Term{load(1, 1, 0)}}
		if _, ok := b.Solve(); ok {
			t.Errorf("axle at %v was solved", l)
		}
	}
	b := Beam{Axle: exact(2)}
	if _, ok := b.Solve(); ok {
		t.Error("an empty beam was solved")
	}
	b.Terms = []Term{{Amount: quantity.Range[float64]{Nominal: 1, Low: 0, High: 2}, InMass: 1}}
	if got, ok := b.Solve(); !ok || got.Share != nil {
		t.Error("a mass that may be nought has no share")
	}
}

func random(r *rand.Rand, n int) Beam {
	b := Beam{Axle: quantity.Range[float64]{Nominal: 2.8, Low: 2.7, High: 2.9}, Track: 1.5}
	spread := func(mid, d float64) quantity.Range[float64] {
		return quantity.Range[float64]{Nominal: mid, Low: mid - d*r.Float64(), High: mid + d*r.Float64()}
	}
	b.Terms = append(b.Terms, Term{Amount: spread(200, 30), InMass: 1, OnAxle: exact(1)}, Term{Amount: spread(20, 5), OnAxle: exact(-1)})
	for range n {
		t := load(0, 0, 0)
		m := 5 + 100*r.Float64()
		t.Amount, t.Arm, t.Side = spread(m, m), spread(0.5+5*r.Float64(), 0.2), spread(r.Float64()-0.5, 0.1)
		if r.IntN(4) == 0 {
			t.Amount.Low = 0 // an optional load: every partial state is in the range
		}
		if r.IntN(5) == 0 {
			t.InMass = 0
		}
		if r.IntN(7) == 0 {
			t.InMass, t.Amount = -1, spread(10, 5)
		}
		b.Terms = append(b.Terms, t)
	}
	return b
}

// The exact ranges against every corner of the box of inputs, for hundreds of
// random rigs.
func TestRangesAgainstBruteForce(t *testing.T) {
	r := rand.New(rand.NewPCG(1, 2))
	for range 300 {
		b := random(r, 1+r.IntN(4))
		got, ok := b.Solve()
		if !ok {
			t.Fatal("not solved")
		}
		n := len(b.Terms)
		type ends struct{ lo, hi float64 }
		wide := func() ends { return ends{math.Inf(1), math.Inf(-1)} }
		ball, axle, share, right := wide(), wide(), wide(), wide()
		either := math.Inf(1)
		take := func(e *ends, v float64) { e.lo, e.hi = math.Min(e.lo, v), math.Max(e.hi, v) }
		const low, floor = 0.04, 25.0
		for mask := range 1 << (3*n + 1) {
			end := func(bit int, q quantity.Range[float64]) float64 {
				if mask>>bit&1 == 1 {
					return q.High
				}
				return q.Low
			}
			if n > 4 && r.IntN(1<<(3*(n-4))) != 0 {
				continue // larger rigs: a random part of the corners
			}
			l := end(3*n, b.Axle)
			m, moment, side := 0.0, 0.0, 0.0
			for i, tm := range b.Terms {
				p := end(3*i, tm.Amount)
				m += p * tm.InMass
				moment += p * (tm.OnAxle.Nominal*l + end(3*i+1, tm.Arm))
				side += p * end(3*i+2, tm.Side)
			}
			a := moment / l
			take(&axle, a)
			take(&ball, m-a)
			take(&share, (m-a)/m)
			take(&right, a/2+side/b.Track)
			either = math.Min(either, math.Max(m-a-low*m, m-a-floor))
		}
		if n <= 4 {
			near(t, "least ball", got.Ball.Low, ball.lo)
			near(t, "greatest ball", got.Ball.High, ball.hi)
			near(t, "least axle", got.OnAxle.Low, axle.lo)
			near(t, "greatest axle", got.OnAxle.High, axle.hi)
			near(t, "least share", got.Share.Low, share.lo)
			near(t, "greatest share", got.Share.High, share.hi)
			near(t, "least right", got.Right.Low, right.lo)
			near(t, "greatest right", got.Right.High, right.hi)
		} else if share.lo < got.Share.Low-1e-9 || share.hi > got.Share.High+1e-9 || ball.hi > got.Ball.High+1e-9 {
			t.Fatalf("a corner lies outside the range: %v %v", share, got.Share)
		}
		// The corners bound AtLeastEither from above; between them it may dip.
		if got := b.AtLeastEither(low, floor); got > either+1e-9 {
			t.Errorf("AtLeastEither %v above a corner's %v", got, either)
		}
	}
}

// AtLeastEither against a fine grid on a rig of two uncertain masses.
func TestAtLeastEitherAgainstGrid(t *testing.T) {
	r := rand.New(rand.NewPCG(3, 4))
	for range 60 {
		b := random(r, 0)
		b.Axle = exact(2.8)
		b.Terms = append(b.Terms[:0:0],
			Term{Amount: quantity.Range[float64]{Nominal: 300, Low: 250, High: 900}, InMass: 1, Arm: exact(2.6 + 0.2*r.Float64())},
			Term{Amount: quantity.Range[float64]{Nominal: 60, Low: 0, High: 200}, InMass: 1, Arm: exact(1 + 3*r.Float64())})
		grid := math.Inf(1)
		for i := range 401 {
			for j := range 401 {
				p := b.Terms[0].Amount.Low + b.Terms[0].Amount.Width()*float64(i)/400
				q := b.Terms[1].Amount.Low + b.Terms[1].Amount.Width()*float64(j)/400
				ball := p*(1-b.Terms[0].Arm.Nominal/2.8) + q*(1-b.Terms[1].Arm.Nominal/2.8)
				grid = math.Min(grid, math.Max(ball-0.04*(p+q), ball-25))
			}
		}
		if got := b.AtLeastEither(0.04, 25); got > grid+1e-9 || got < grid-1.5 {
			t.Errorf("AtLeastEither %v, grid %v", got, grid)
		}
	}
}

// Mirroring the rig swaps the wheels; moving a mass rearward never raises the
// ball load; ball and axle together bear the whole.
func TestProperties(t *testing.T) {
	r := rand.New(rand.NewPCG(5, 6))
	for range 200 {
		b := random(r, 3)
		got, _ := b.Solve()
		near(t, "closes", got.Ball.Nominal+got.OnAxle.Nominal, got.Mass.Nominal)
		near(t, "wheels", got.Left.Nominal+got.Right.Nominal, got.OnAxle.Nominal)
		mirror := Beam{Axle: b.Axle, Track: b.Track}
		for _, tm := range b.Terms {
			tm.Side = quantity.Range[float64]{Nominal: -tm.Side.Nominal, Low: -tm.Side.High, High: -tm.Side.Low}
			mirror.Terms = append(mirror.Terms, tm)
		}
		m, _ := mirror.Solve()
		near(t, "mirror low", m.Left.Low, got.Right.Low)
		near(t, "mirror high", m.Left.High, got.Right.High)
		last := &b.Terms[len(b.Terms)-1]
		last.Arm = last.Arm.Plus(0.3)
		back, _ := b.Solve()
		if back.Ball.Nominal > got.Ball.Nominal+1e-12 || back.Ball.High > got.Ball.High+1e-9 {
			t.Errorf("moving rearward raised the ball load from %v to %v", got.Ball, back.Ball)
		}
	}
}

func TestGuessesAndBreakEven(t *testing.T) {
	b := Beam{Axle: exact(2.0), Terms: []Term{
		{Path: "trailer", Amount: quantity.Range[float64]{Nominal: 200, Low: 196, High: 204}, InMass: 1, Arm: exact(1.9)},
		{Path: "skiff", Place: "skiff/centre", Amount: quantity.Range[float64]{Nominal: 50, Low: 40, High: 60}, InMass: 1, Arm: quantity.Range[float64]{Nominal: 1, Low: 0.9, High: 1.1}},
	}}
	g := b.Guesses()
	// skiff: 20 kg·(2−1)/2 = 10; its place: 50·0.2/2 = 5; trailer: 8·0.1/2 = 0.4
	if len(g) != 3 || g[0].Path != "skiff" || g[1].Path != "skiff/centre" || !g[1].Place || g[2].Path != "trailer" {
		t.Fatalf("got %+v", g)
	}
	near(t, "skiff", g[0].Width, 10)
	near(t, "place", g[1].Width, 5)
	near(t, "trailer", g[2].Width, 0.4)
	// (10 + m/2)/(200 + m) = 0.15  →  m = 20/0.35 = 57.142857…
	m, ok := b.BreakEven("skiff", 0.15)
	if !ok {
		t.Fatal("no break-even")
	}
	near(t, "break-even", m, 57.142857142857146)
	if _, ok := b.BreakEven("skiff", 0.5); ok {
		t.Error("a share that the skiff alone would have is never reached")
	}
}

func ExampleBeam_Solve() {
	b := Beam{Axle: exact(2.8), Terms: []Term{
		{Amount: exact(220), InMass: 1, Arm: exact(2.6)},
		{Amount: exact(400), InMass: 1, Arm: exact(2.55)},
	}}
	got, _ := b.Solve()
	fmt.Printf("ball %.1f kg, axle %.1f kg, %.1f %%\n", got.Ball.Nominal, got.OnAxle.Nominal, 100*got.Share.Nominal)
	// Output: ball 51.4 kg, axle 568.6 kg, 8.3 %
}

func BenchmarkSolve(b *testing.B) {
	for _, n := range []int{10, 100, 1000} {
		b.Run(fmt.Sprint(n), func(b *testing.B) {
			beam := random(rand.New(rand.NewPCG(7, 8)), n)
			b.ReportAllocs()
			for b.Loop() {
				beam.Solve()
			}
		})
	}
}

// Optional things, of one term or of several, against all their states and all
// corners of what is there.
func TestOptionalAgainstBruteForce(t *testing.T) {
	r := rand.New(rand.NewPCG(21, 22))
	for n := range 400 {
		b := Beam{Axle: exact(2 + r.Float64())}
		b.Terms = append(b.Terms, Term{Amount: quantity.Range[float64]{Nominal: 200, Low: 180, High: 220}, InMass: 1, Arm: exact(b.Axle.Nominal * (0.85 + 0.1*r.Float64()))})
		for g := range 1 + r.IntN(4) {
			group := string(rune('a' + g))
			for range 1 + r.IntN(3) {
				m := 20 + 100*r.Float64()
				x := 5 * r.Float64()
				b.Terms = append(b.Terms, Term{Group: group, Amount: quantity.Range[float64]{Nominal: m, Low: m * 0.8, High: m * 1.2}, InMass: float64(r.IntN(5) / 1 % 2), Arm: quantity.Range[float64]{Nominal: x, Low: x - 0.1, High: x + 0.1}})
				if b.Terms[len(b.Terms)-1].InMass == 0 {
					b.Terms[len(b.Terms)-1].Arm = quantity.Range[float64]{Nominal: 0.2, Low: 0.1, High: 0.3}
				}
			}
		}
		got, ok := b.Solve()
		if !ok || got.Share == nil {
			t.Fatal("no answer")
		}
		low, high, ball, most := math.Inf(1), math.Inf(-1), math.Inf(1), math.Inf(-1)
		for state := range 1 << 4 {
			away := func(tm *Term) bool { return tm.Group != "" && state>>(tm.Group[0]-'a')&1 == 1 }
			var there []Term
			for _, tm := range b.Terms {
				if !away(&tm) {
					tm.Group = ""
					there = append(there, tm)
				}
			}
			for corner := range 1 << len(there) {
				var num [2]float64
				den := 0.0
				for i, tm := range there {
					p := tm.Amount.Low
					if corner>>i&1 == 1 {
						p = tm.Amount.High
					}
					den += tm.InMass * p
					num[0] += p * (tm.InMass - tm.Arm.High/b.Axle.Nominal)
					num[1] += p * (tm.InMass - tm.Arm.Low/b.Axle.Nominal)
				}
				low, high = math.Min(low, num[0]/den), math.Max(high, num[1]/den)
				ball, most = math.Min(ball, num[0]), math.Max(most, num[1])
			}
		}
		near(t, "least share", got.Share.Low, low)
		near(t, "greatest share", got.Share.High, high)
		near(t, "least ball load", got.Ball.Low, ball)
		near(t, "greatest ball load", got.Ball.High, most)
		// With what is absent at the least share taken out, the rest comes to it.
		away := map[string]bool{}
		for _, g := range b.Absent(false) {
			away[g] = true
		}
		rest := Beam{Axle: b.Axle}
		for _, tm := range b.Terms {
			if !away[tm.Group] {
				tm.Group = ""
				rest.Terms = append(rest.Terms, tm)
			}
		}
		if s, _ := rest.Solve(); math.Abs(s.Share.Low-low) > 1e-9 {
			t.Errorf("case %d: without %v the least share is %v, want %v", n, away, s.Share.Low, low)
		}
	}
}

// Only what is optional comes and goes: 200 kg at 2.3 of 2.5 m is 16 kg on the
// ball; 100 kg at 3 m takes 20 off it.
func TestStates(t *testing.T) {
	b := Beam{Axle: exact(2.5), Terms: []Term{load(200, 2.3, 0), load(100, 3, 0)}}
	b.Terms[1].Group = "b"
	b.Terms[0].Amount = quantity.Range[float64]{Nominal: 200, Low: 100, High: 300}
	s, _ := b.States().Solve()
	near(t, "all there", s.Ball.Low, -4)
	near(t, "one away", s.Ball.High, 16)
	near(t, "mass, one away", s.Mass.Low, 200)
	near(t, "nominal", s.Ball.Nominal, -4)
	if got := b.States().Absent(true); len(got) != 1 || got[0] != "b" {
		t.Errorf("away at the greatest share: %v", got)
	}
	if got := b.States().Absent(false); len(got) != 0 {
		t.Errorf("away at the least share: %v", got)
	}
}
