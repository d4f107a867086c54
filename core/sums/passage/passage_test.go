package passage_test

import (
	"math"
	"math/rand/v2"
	"testing"

	"zygonos/core/sums/passage"
)

// A stick without width round the corner of two paths 1 m and 1 m wide is at most 2√2 m long; of 1 and 8 m,
// (1^(2/3) + 8^(2/3))^(3/2) = 5√5 m.
func TestLongest(t *testing.T) {
	for _, c := range []struct{ a, b, want float64 }{{1, 1, 2 * math.Sqrt2}, {1, 8, 5 * math.Sqrt(5)}} {
		if got := passage.Longest(1e-9, c.a, c.b); math.Abs(got-c.want) > 1e-6 {
			t.Errorf("%v, %v: %v, want %v", c.a, c.b, got, c.want)
		}
	}
	// 1 m wide in paths of 2 m: 2·(2√2 − 1) m
	if got := passage.Longest(1, 2, 2); math.Abs(got-2*(2*math.Sqrt2-1)) > 1e-6 {
		t.Errorf("%v", got)
	}
	if passage.Longest(3, 1, 2) != 0 {
		t.Error("wider than both paths")
	}
	for _, c := range []struct{ a, b, w, h, want float64 }{{0.9, 1.9, 1, 2, 0.1}, {1.9, 0.9, 1, 2, 0.1}, {1.1, 1.1, 1, 2, -0.1}} {
		if got := passage.Door(c.a, c.b, c.w, c.h); math.Abs(got-c.want) > 1e-12 {
			t.Errorf("%+v: %v", c, got)
		}
	}
}

// Against boxes that are pushed round by steps: at each of many angles the box is laid with its outer side on both outer walls,
// and its inner side must leave the inner corner free; turned paths give the same.
func TestCornerByScan(t *testing.T) {
	r := rand.New(rand.NewPCG(1, 2))
	for range 2000 {
		l, w := 0.3+3*r.Float64(), 0.2+1.2*r.Float64()
		a, b := 0.4+2*r.Float64(), 0.4+2*r.Float64()
		room, _ := passage.Corner(l, w, a, b)
		if back, _ := passage.Corner(l, w, b, a); math.Abs(back-room) > 1e-7 {
			t.Errorf("there %v, back %v", room, back)
		}
		scan := math.Inf(1)
		for i := range 4001 {
			s, c := math.Sincos(math.Pi / 2 * float64(i) / 4000)
			// the outer side from (0, l·s) to (l·c, 0), the walls x = 0 and y = 0; the inner corner (a', b') with x = b, y = a
			px, py := 0.0, l*s
			nx, ny := s, c // square to that side, inward
			d := (b-px)*nx + (a-py)*ny
			scan = math.Min(scan, d-w)
		}
		scan = math.Max(scan, math.Max(math.Min(a-w, b-l), math.Min(a-l, b-w)))
		if math.Abs(scan-room) > 1e-4 {
			t.Errorf("%v × %v through %v and %v: %v, by scan %v", l, w, a, b, room, scan)
		}
	}
}

func BenchmarkCorner(b *testing.B) {
	for b.Loop() {
		passage.Corner(2.1, 1.2, 1.6, 1.4)
	}
}
