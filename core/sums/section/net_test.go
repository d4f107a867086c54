package section_test

import (
	"errors"
	"math"
	"testing"

	"zygonos/core/sums/section"
)

// Worked by hand. A flat bar 60 × 10 with a hole of 20 through its height's middle: I = 10·(60³ − 20³)/12,
// W = I/30, A = 10·40; a notch of 20 off its top leaves a bar of 40: I = 10·40³/12, W over 20, its centre
// 10 lower. mm.
func TestNetBar(t *testing.T) {
	s := section.Size{Shape: section.Bar, H: 0.060, B: 0.010}
	for _, c := range []struct {
		name          string
		taken         section.Taken
		area, iy, wy  float64 // mm², mm⁴, mm³
		centre, aside float64 // mm from the whole's edges
	}{
		{"hole", section.Taken{Y1: 0.010, Z0: 0.020, Z1: 0.040}, 400, 10.0 * (216000 - 8000) / 12, 10.0 * 208000 / 12 / 30, 30, 5},
		{"notch", section.Taken{Y1: 0.010, Z0: 0.040, Z1: 0.060}, 400, 10.0 * 64000 / 12, 10.0 * 64000 / 12 / 20, 20, 5},
	} {
		p, err := section.Net(s, []section.Taken{c.taken})
		if err != nil {
			t.Fatal(c.name, err)
		}
		for _, v := range [][2]float64{
			{p.Area * 1e6, c.area}, {p.Iy * 1e12, c.iy}, {p.Wy * 1e9, c.wy}, {p.CentreZ * 1e3, c.centre}, {p.CentreY * 1e3, c.aside},
		} {
			if math.Abs(v[0]-v[1]) > 1e-6*(1+v[1]) {
				t.Errorf("%s: %v, want %v", c.name, v[0], v[1])
			}
		}
	}
}

// A square tube 50 × 50 × 3, its lower 20 mm notched away: two walls of 3 × 27 and the top of 50 × 3. By
// hand: A = 2·3·27 + 150 = 312; centre over the notch (162·13.5 + 150·28.5)/312 = 20.712;
// I = 2·3·27³/12 + 162·7.212² + 50·27/12 + 150·7.788² = 9841.5 + 8426 + 112.5 + 9098 = 27478 mm⁴,
// W = 27478/20.712 = 1326.7 mm³; times what rounded corners leave of a square one: 19.5/20.85 cm⁴.
func TestNetTube(t *testing.T) {
	s := section.Size{Shape: section.Tube, H: 0.050, B: 0.050, T: 0.003}
	whole, _ := section.Of(s)
	round := whole.Iy / ((math.Pow(50, 4) - math.Pow(44, 4)) / 12 * 1e-12)
	p, err := section.Net(s, []section.Taken{{Y1: 0.05, Z1: 0.02}})
	if err != nil || math.Abs(p.Iy*1e12-27478*round) > 30 || math.Abs(p.Wy*1e9-1326.7*round) > 2 ||
		math.Abs(p.CentreZ*1e3-40.712) > 0.01 {
		t.Errorf("%+v %v", p, err)
	}
	tw, _ := section.TorsionOf(s)
	open := section.NetTorsion(s, tw, p.Area/whole.Area, true)
	if want := p.Area * 0.003 / 3; !open.Open || math.Abs(open.Wt-want) > 1e-12 || open.Wt > tw.Wt/20 {
		t.Errorf("twisted where it is open: %+v of %+v", open, tw)
	}
}

// Taking nothing leaves the whole, taking more leaves less, in any order; what is taken twice is taken
// once; taking all is stated.
func TestNet(t *testing.T) {
	for _, s := range []section.Size{
		{Shape: section.Tube, H: 0.08, B: 0.04, T: 0.003}, {Shape: section.Round, H: 0.0603, T: 0.0032},
		{Shape: section.Channel, H: 0.08, B: 0.04, T: 0.004}, {Shape: section.Angle, H: 0.06, B: 0.04, T: 0.005},
		{Shape: section.Strut, H: 0.041, B: 0.041, T: 0.0025}, {Shape: section.Bar, H: 0.1, B: 0.05},
		{Shape: section.Rod, H: 0.03},
	} {
		whole, _ := section.Of(s)
		same, err := section.Net(s, nil)
		if err != nil || math.Abs(same.Wy-whole.Wy) > 2e-3*whole.Wy || math.Abs(same.Area-whole.Area) > 1e-12 {
			t.Errorf("%s: %+v %v, whole %+v", s.Shape, same, err, whole)
		}
		last := whole.Area
		for d := 0.1; d < 0.9; d += 0.1 {
			p, err := section.Net(s, []section.Taken{{Y1: 1, Z0: s.H * (1 - d), Z1: 1}})
			if err != nil || !(p.Area < last) {
				t.Errorf("%s less %v of its height: %+v %v", s.Shape, d, p, err)
				break
			}
			last = p.Area
		}
		a, b := section.Taken{Y1: 1, Z1: s.H / 5}, section.Taken{Y1: s.H / 4, Z1: s.H / 3}
		p, _ := section.Net(s, []section.Taken{a, b})
		q, _ := section.Net(s, []section.Taken{b, a, b})
		if math.Abs(p.Iy-q.Iy) > 1e-9*p.Iy || math.Abs(p.Area-q.Area) > 1e-12 {
			t.Errorf("%s in another order: %v and %v", s.Shape, p.Iy, q.Iy)
		}
		if _, err := section.Net(s, []section.Taken{{Y1: 1, Z1: 1}}); !errors.Is(err, section.ErrGone) {
			t.Errorf("%s all taken: %v", s.Shape, err)
		}
	}
}
