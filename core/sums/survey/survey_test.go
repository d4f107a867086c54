package survey_test

import (
	"errors"
	"math"
	"math/rand/v2"
	"testing"

	"zygonos/core/sums/survey"
)

func near(t *testing.T, what string, got, want, tol float64) {
	t.Helper()
	if !(math.Abs(got-want) <= tol) {
		t.Errorf("%s: %v, want %v", what, got, want)
	}
}

// six are the lengths of four corners.
func six(c [4]survey.Vec) (out []survey.Taped) {
	for _, s := range []survey.Side{survey.Front, survey.Right, survey.Rear, survey.Left, survey.DiagonalA, survey.DiagonalB} {
		a, b := c[s.From], c[s.To]
		out = append(out, survey.Taped{Side: s, Length: math.Hypot(a.X-b.X, a.Y-b.Y)})
	}
	return out
}

// A rectangle of 2.5 × 1.5 m, the same pushed 8 mm to the right behind, and one that is 10 mm wider behind.
func TestShapes(t *testing.T) {
	rect := [4]survey.Vec{{}, {Y: 1.5}, {X: 2.5, Y: 1.5}, {X: 2.5}}
	s, err := survey.NewSquare(six(rect), 0.001)
	if err != nil {
		t.Fatal(err)
	}
	near(t, "square", s.Skew, 0, 1e-9)
	near(t, "its length", s.Length, 2.5, 1e-9)
	skewed := rect
	skewed[2].Y += 0.008
	skewed[3].Y += 0.008
	s, _ = survey.NewSquare(six(skewed), 0.001)
	near(t, "skew", s.Skew, 0.008, 1e-9)
	near(t, "no taper", s.Taper, 0, 1e-9)
	a, b := s.Diagonals()
	near(t, "diagonals after", a-b, 0, 1e-9)
	near(t, "their length", a, math.Hypot(1.5, 2.5), 1e-4)
	// the rule of thumb: (d₁² − d₂²)/(4·w)
	r := six(skewed)
	near(t, "by the diagonals", (r[4].Length*r[4].Length-r[5].Length*r[5].Length)/(4*1.5), 0.008, 1e-9)
	taper := rect
	taper[2].Y, taper[3].Y = 1.505, -0.005
	s, _ = survey.NewSquare(six(taper), 0.001)
	near(t, "taper", s.Taper, 0.010, 1e-9)
	near(t, "not skewed", s.Skew, 0, 1e-9)
	// five lengths are enough, whichever is left out
	for i := range 6 {
		five := append(append([]survey.Taped{}, six(skewed)[:i]...), six(skewed)[i+1:]...)
		if s, err = survey.NewSquare(five, 0.001); err != nil {
			t.Fatal(i, err)
		}
		near(t, "of five", s.Skew, 0.008, 1e-9)
		if s.Misfit != 0 {
			t.Errorf("five readings misfit by %v", s.Misfit)
		}
	}
	// mirrored, the skew turns its sign and nothing else
	mirrored := six(skewed)
	mirrored[1].Length, mirrored[3].Length = mirrored[3].Length, mirrored[1].Length
	mirrored[4].Length, mirrored[5].Length = mirrored[5].Length, mirrored[4].Length
	m, _ := survey.NewSquare(mirrored, 0.001)
	near(t, "mirrored", m.Skew, -0.008, 1e-9)
	near(t, "its doubt", m.SkewDoubt, s.SkewDoubt, s.SkewDoubt) // of the same order
}

// With noise the true skew lies within the stated doubt as often as it should: two standard deviations in 95 of 100.
func TestDoubtCovers(t *testing.T) {
	r := rand.New(rand.NewPCG(7, 8))
	const n = 2000
	within, misfits := 0, 0
	for range n {
		w, l, k := 1+r.Float64(), 1.5+2*r.Float64(), (r.Float64()-0.5)*0.04
		c := [4]survey.Vec{{}, {Y: w}, {X: l, Y: w + k}, {X: l, Y: k}}
		taped := six(c)
		for i := range taped {
			taped[i].Length += r.NormFloat64() * 0.001
		}
		s, err := survey.NewSquare(taped, 0.001)
		if err != nil {
			t.Fatal(err)
		}
		if math.Abs(s.Skew-k) < 2*s.SkewDoubt {
			within++
		}
		if s.Misfit > 3 {
			misfits++
		}
	}
	if share := float64(within) / n; share < 0.935 || share > 0.97 {
		t.Errorf("%v within two deviations", share)
	}
	if misfits > n/100 {
		t.Errorf("%d of %d misfit by more than three", misfits, n)
	}
}

// Readings that belong to no frame are said so; one that is read wrongly by 20 mm misfits.
func TestBad(t *testing.T) {
	rect := six([4]survey.Vec{{}, {Y: 1.5}, {X: 2.5, Y: 1.5}, {X: 2.5}})
	if _, err := survey.NewSquare(rect[:4], 0.001); !errors.Is(err, survey.ErrFew) {
		t.Error(err)
	}
	if _, err := survey.NewSquare(rect, 0); !errors.Is(err, survey.ErrTape) {
		t.Error(err)
	}
	if _, err := survey.NewSquare(append(rect[:5:5], survey.Taped{Side: survey.DiagonalB, Length: -1}), 0.001); !errors.Is(err, survey.ErrTape) {
		t.Error(err)
	}
	wrong := append([]survey.Taped{}, rect...)
	wrong[4].Length += 0.02
	if s, err := survey.NewSquare(wrong, 0.001); err != nil || s.Misfit < 5 {
		t.Errorf("%+v %v", s, err)
	}
	far := append([]survey.Taped{}, rect...)
	far[4].Length, far[5].Length = 9, 9
	if s, err := survey.NewSquare(far, 0.001); err == nil && s.Misfit < 100 {
		t.Errorf("%+v", s)
	}
}

// 3-4-5: in 1.5 × 2.5 m the largest has legs of 1.5 and 2.0 m, 2.5 m across; 10 mm more there opens the corner by
// acos(…) − 90° = 0.478°, 10·2.5/(1.5·2.0) mm a metre.
func TestTriangle(t *testing.T) {
	a, b, c := survey.Triangle(1.5, 2.5)
	near(t, "legs", a, 1.5, 1e-12)
	near(t, "legs", b, 2, 1e-12)
	near(t, "across", c, 2.5, 1e-12)
	off, ok := survey.OffSquare(1.5, 2, 2.51)
	if !ok {
		t.Fatal()
	}
	near(t, "open", off, 0.01*2.5/3, 5e-5)
	if _, ok := survey.OffSquare(1, 1, 3); ok {
		t.Error("no triangle")
	}
}

// Stands at the corners of 2 × 1 m on a plane that rises 5 mm a metre to the rear and falls 3 to the right, one 4 mm high.
func TestLevel(t *testing.T) {
	var stands []survey.Stand
	for _, p := range []survey.Vec{{}, {Y: 1}, {X: 2, Y: 1}, {X: 2}} {
		stands = append(stands, survey.Stand{At: p, Height: 0.1 + 0.005*p.X - 0.003*p.Y})
	}
	l, err := survey.NewLevel(stands, 0.001)
	if err != nil {
		t.Fatal(err)
	}
	near(t, "rise", l.Rise.X, 0.005, 1e-12)
	near(t, "fall", l.Rise.Y, -0.003, 1e-12)
	near(t, "twist", l.Twist, 0, 1e-12)
	for i, want := range []float64{0.010, 0.013, 0.003, 0} {
		near(t, "shim", l.Shims[i], want, 1e-12)
	}
	stands[2].Height += 0.004
	l, _ = survey.NewLevel(stands, 0.001)
	near(t, "twisted", l.Twist, 0.004, 1e-12)
	near(t, "a quarter off", l.Off[2], 0.001, 1e-12)
	if _, err := survey.NewLevel(stands[:2], 0.001); !errors.Is(err, survey.ErrFew) {
		t.Error(err)
	}
	line := []survey.Stand{{}, {At: survey.Vec{X: 1}}, {At: survey.Vec{X: 2}}}
	if _, err := survey.NewLevel(line, 0.001); !errors.Is(err, survey.ErrFew) {
		t.Error(err)
	}
}

// An axle 3 m behind the coupling, 1.6 m from place to place, turned by half a degree about its middle, and one that sits
// 10 mm to the right: by plane geometry.
func TestAxle(t *testing.T) {
	for _, c := range []struct{ yaw, off float64 }{{0, 0}, {0.5 * math.Pi / 180, 0}, {-0.3 * math.Pi / 180, 0.01}, {0, -0.02}} {
		s, cs := math.Sincos(c.yaw)
		// right end ahead: less behind
		left := math.Hypot(3+0.8*s, c.off-0.8*cs)
		right := math.Hypot(3-0.8*s, c.off+0.8*cs)
		a, err := survey.NewAxle(left, right, 1.6, c.off, 0.001)
		if err != nil {
			t.Fatal(err)
		}
		near(t, "yaw", a.Yaw, c.yaw, 2e-5)
		near(t, "hanger", a.Shift(1.1), 1.1*math.Tan(c.yaw), 3e-5)
		near(t, "tail", a.Tail(4), 4*math.Sin(c.yaw), 1e-4)
	}
	if _, err := survey.NewAxle(1, 3, 1.6, 0, 0.001); !errors.Is(err, survey.ErrShape) {
		t.Error(err)
	}
	if a, ok := survey.Toe(1.600, 1.604, 0.4); !ok || math.Abs(a-0.005) > 1e-6 {
		t.Errorf("toe %v", a)
	}
	near(t, "scrub", survey.Scrub(0.005), 5, 1e-4)
}
