package nest_test

import (
	"context"
	"errors"
	"math"
	"math/rand/v2"
	"testing"

	"zygonos/core/sums/nest"
)

func solve(t *testing.T, p *nest.Problem) nest.Layout {
	t.Helper()
	l, err := nest.Solve(context.Background(), p, 200_000)
	if err != nil {
		t.Fatal(err)
	}
	check(t, p, &l)
	return l
}

// check holds a layout against the problem: each piece once, every bar long enough, no more bars than
// there are.
func check(t *testing.T, p *nest.Problem, l *nest.Layout) {
	t.Helper()
	done := make([]int, len(p.Pieces))
	used := make([]int, len(p.Bars))
	price := 0.0
	for _, c := range l.Cuts {
		used[c.Bar]++
		price += p.Bars[c.Bar].Price
		length := -p.Kerf
		for _, i := range c.Pieces {
			done[i]++
			length += p.Pieces[i] + p.Kerf
		}
		if length > p.Bars[c.Bar].Length+1e-9 {
			t.Errorf("%v m out of a bar of %v m", length, p.Bars[c.Bar].Length)
		}
		if want := math.Max(0, p.Bars[c.Bar].Length-length-p.Kerf); math.Abs(c.Rest-want) > 1e-9 {
			t.Errorf("rest %v, want %v", c.Rest, want)
		}
	}
	for i, n := range done {
		if n != 1 {
			t.Errorf("piece %d is cut %d times", i, n)
		}
	}
	for b, n := range used {
		if h := p.Bars[b].Have; h != nest.Endless && n > h {
			t.Errorf("%d bars of which there are %d", n, h)
		}
	}
	if math.Abs(price-l.Price) > 1e-9 {
		t.Errorf("price %v, told %v", price, l.Price)
	}
	if l.Price < l.Least-1e-9 {
		t.Errorf("price %v under its bound %v", l.Price, l.Least)
	}
}

// Three pieces of 2 m do not come out of a bar of 6 m: the saw takes 3 mm twice. Of 1.998 m they do, the
// last cut needs none.
func TestKerf(t *testing.T) {
	p := &nest.Problem{Pieces: []float64{2, 2, 2}, Bars: []nest.Bar{{6, 30, nest.Endless}}, Kerf: 0.003}
	if l := solve(t, p); len(l.Cuts) != 2 || !l.Proven {
		t.Errorf("%+v", l)
	}
	p.Pieces = []float64{1.998, 1.998, 1.998}
	if l := solve(t, p); len(l.Cuts) != 1 || l.Cuts[0].Rest != 0 {
		t.Errorf("%+v", l)
	}
}

// A bar on hand before a bought one; a short bar where it is cheaper; a dear short one not.
func TestBars(t *testing.T) {
	p := &nest.Problem{
		Pieces: []float64{1.2, 1.2, 2.4},
		Bars:   []nest.Bar{{6, 30, nest.Endless}, {3, 16, nest.Endless}, {2.5, 0, 1}}, Kerf: 0.002,
	}
	if l := solve(t, p); l.Price != 16 || len(l.Cuts) != 2 || !l.Proven {
		t.Errorf("%+v", l)
	}
	p.Bars[1].Price = 31
	if l := solve(t, p); l.Price != 30 || len(l.Cuts) != 1 {
		t.Errorf("two bars though one does: %+v", l)
	}
	p.Bars = p.Bars[2:]
	if _, err := nest.Solve(context.Background(), p, 1000); !errors.Is(err, nest.ErrShort) {
		t.Errorf("one bar on hand: %v", err)
	}
}

// exhaustive is the least price and, at that price, the least number of bars: every way to part the
// pieces, each part out of the cheapest bar that is still there.
func exhaustive(p *nest.Problem) (price float64, bars int) {
	price = math.Inf(1)
	have := make([]int, len(p.Bars))
	for i, b := range p.Bars {
		have[i] = b.Have
	}
	var groups []float64 // length with a kerf a piece
	var assign func(i int, cost float64)
	assign = func(i int, cost float64) {
		if i == len(groups) {
			if cost < price-1e-9 || cost < price+1e-9 && len(groups) < bars {
				price, bars = cost, len(groups)
			}
			return
		}
		for b, bar := range p.Bars {
			if have[b] == 0 || groups[i]-p.Kerf > bar.Length+1e-9 {
				continue
			}
			have[b]--
			assign(i+1, cost+bar.Price)
			have[b]++
		}
	}
	var part func(i int)
	part = func(i int) {
		if i == len(p.Pieces) {
			assign(0, 0)
			return
		}
		l := p.Pieces[i] + p.Kerf
		for g := range groups {
			groups[g] += l
			part(i + 1)
			groups[g] -= l
		}
		groups = append(groups, l)
		part(i + 1)
		groups = groups[:len(groups)-1]
	}
	part(0)
	return price, bars
}

func TestAgainstAll(t *testing.T) {
	r := rand.New(rand.NewPCG(11, 4))
	for n := range 400 {
		p := &nest.Problem{Kerf: []float64{0, 0.002, 0.003}[r.IntN(3)]}
		for range 1 + r.IntN(6) {
			p.Pieces = append(p.Pieces, math.Round((0.3+r.Float64()*2.5)*100)/100)
		}
		p.Bars = []nest.Bar{{6, 30 + float64(r.IntN(6)), nest.Endless}, {3, 12 + float64(r.IntN(8)), nest.Endless}}
		if r.IntN(2) == 0 {
			p.Bars = append(p.Bars, nest.Bar{Length: 1 + r.Float64()*2, Have: 1 + r.IntN(2)})
		}
		want, bars := exhaustive(p)
		l := solve(t, p)
		if math.Abs(l.Price-want) > 1e-9 || len(l.Cuts) != bars || !l.Proven {
			t.Fatalf("case %d: %v in %d bars (proven %v), exhaustive %v in %d: %+v", n, l.Price, len(l.Cuts), l.Proven, want, bars, p)
		}
	}
}

// Other order of the pieces, other order of the bars: the same price.
func TestOrder(t *testing.T) {
	r := rand.New(rand.NewPCG(2, 7))
	for range 40 {
		p := random(r, 14)
		a := solve(t, p)
		r.Shuffle(len(p.Pieces), func(i, j int) { p.Pieces[i], p.Pieces[j] = p.Pieces[j], p.Pieces[i] })
		p.Bars[0], p.Bars[1] = p.Bars[1], p.Bars[0]
		b := solve(t, p)
		if a.Proven && b.Proven && math.Abs(a.Price-b.Price) > 1e-9 {
			t.Errorf("%v and %v", a.Price, b.Price)
		}
	}
}

func random(r *rand.Rand, n int) *nest.Problem {
	p := &nest.Problem{Kerf: 0.0025, Bars: []nest.Bar{{6, 31.5, nest.Endless}, {3, 17, nest.Endless}, {1.7, 0, 1}}}
	for range n {
		p.Pieces = append(p.Pieces, math.Round((0.2+r.Float64()*1.9)*200)/200)
	}
	return p
}

// Thirty pieces of one section are proven in the common case; where they are not, the gap is stated.
func TestThirty(t *testing.T) {
	r := rand.New(rand.NewPCG(6, 6))
	proven := 0
	for range 20 {
		l := solve(t, random(r, 30))
		if l.Proven {
			proven++
		} else if l.Price > l.Least*1.1 {
			t.Errorf("price %v, bound %v", l.Price, l.Least)
		}
	}
	if proven < 17 {
		t.Errorf("%d of 20 are proven", proven)
	}
}

func TestBad(t *testing.T) {
	ctx := context.Background()
	bar := []nest.Bar{{6, 1, nest.Endless}}
	if _, err := nest.Solve(ctx, &nest.Problem{Pieces: []float64{1}, Bars: bar, Kerf: -1}, 100); !errors.Is(err, nest.ErrKerf) {
		t.Error(err)
	}
	var bad *nest.PieceError
	for _, l := range []float64{7, 0, -1, math.NaN(), math.Inf(1)} {
		if _, err := nest.Solve(ctx, &nest.Problem{Pieces: []float64{1, l}, Bars: bar}, 100); !errors.As(err, &bad) || bad.Piece != 1 {
			t.Errorf("%v m: %v", l, err)
		}
	}
	if l, err := nest.Solve(ctx, &nest.Problem{Bars: bar}, 100); err != nil || !l.Proven {
		t.Errorf("nothing to cut: %+v %v", l, err)
	}
	if l, err := nest.Solve(ctx, &nest.Problem{Pieces: []float64{1, 2, 3}, Bars: bar}, 1); err == nil && !l.Proven && l.Cuts == nil {
		t.Error("out of steps it gives neither a layout nor an error")
	}
}

func benchmark(b *testing.B, n int) {
	p := random(rand.New(rand.NewPCG(9, 9)), n)
	for b.Loop() {
		if _, err := nest.Solve(context.Background(), p, 200_000); err != nil {
			b.Fatal(err)
		}
	}
}

func BenchmarkThirty(b *testing.B) { benchmark(b, 30) }
func BenchmarkSixty(b *testing.B)  { benchmark(b, 60) }
