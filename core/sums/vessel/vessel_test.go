package vessel_test

import (
	"math"
	"math/rand/v2"
	"testing"

	"zygonos/core/sums/vessel"
)

func near(t *testing.T, what string, got, want, tol float64) {
	t.Helper()
	if math.Abs(got-want) > tol {
		t.Errorf("%s: %v, want %v", what, got, want)
	}
}

// Closed forms: a half full cylinder that lies has its fluid's centre 4R/3π under the axis; standing it is half its
// level; a saddle is its box less its tunnel.
func TestClosedForms(t *testing.T) {
	lying := vessel.Tank{Kind: vessel.Along, Long: 2, Wide: 1, High: 1}
	near(t, "lying", lying.Volume(), math.Pi/4*2, 1e-12)
	v, z := lying.Held(0.5)
	near(t, "half", v, math.Pi/4, 1e-12)
	near(t, "its centre", z, 0.5-4*0.5/(3*math.Pi), 1e-12)
	near(t, "its level", lying.Level(0.5), 0.5, 1e-9)
	_, z = lying.Held(1)
	near(t, "full", z, 0.5, 1e-12)
	up := vessel.Tank{Kind: vessel.Upright, Long: 1, Wide: 1.2, High: 1.5}
	near(t, "standing", up.Volume(), math.Pi/4*1.5, 1e-12)
	v, z = up.Held(0.9)
	near(t, "at 0.9", v, math.Pi/4*0.9, 1e-12)
	near(t, "its centre", z, 0.45, 1e-12)
	saddle := vessel.Tank{Kind: vessel.Saddle, Long: 1, Wide: 1.2, High: 0.8, TunnelWide: 0.4, TunnelHigh: 0.3}
	near(t, "saddle", saddle.Volume(), 0.96-0.12, 1e-12)
	v, z = saddle.Held(0.6)
	near(t, "at 0.6", v, 0.72-0.12, 1e-12)
	near(t, "its centre", z, (0.72*0.3-0.12*0.15)/0.6, 1e-12)
	// a box of 1.2 m with 0.3 m in it under 0.3 g: Δx = 0.3·1.2²/(12·0.3), rise 0.3·Δx/2
	box := vessel.Tank{Long: 1.2, Wide: 1, High: 1}
	dx, dz := box.Tilt(0.3, 0.3, false)
	near(t, "shift", dx, 0.12, 1e-4)
	near(t, "rise", dz, 0.018, 1e-4)
	// two baffles: three parts of 0.4 m, a ninth of it each
	box.Baffles = 2
	dx, _ = box.Tilt(0.3, 0.3, false)
	near(t, "with baffles", dx, 0.12/9, 1e-4)
	dx, _ = box.Tilt(0.3, 0.3, true) // aside they do nothing: 0.3·1/(12·0.3)
	near(t, "aside", dx, 1.0/12, 1e-4)
	// a circle that is tilted only turns: its half stays a half, the centre swings about the axis
	away, rise := lying.Tilt(0.5, 1, true)
	r := 4 * 0.5 / (3 * math.Pi)
	near(t, "swings aside", away, r*math.Sqrt2/2, 3e-4)
	near(t, "and up", rise, r*(1-math.Sqrt2/2), 3e-4)
}

// Every shape by a sum over small cubes: volume and centre under a level and under a tilted surface.
func TestByCubes(t *testing.T) {
	rnd := rand.New(rand.NewPCG(3, 4))
	for range 25 {
		k := vessel.Kind(rnd.IntN(5))
		tank := vessel.Tank{Kind: k, Long: 0.5 + rnd.Float64(), Wide: 0.5 + rnd.Float64(), High: 0.4 + rnd.Float64(), TunnelWide: 0.2, TunnelHigh: 0.15}
		inside := func(x, y, z float64) bool {
			r := 0.0
			switch k {
			case vessel.Upright:
				r = math.Min(tank.Long, tank.Wide) / 2
				return x*x+y*y < r*r && z < tank.High
			case vessel.Along:
				r = math.Min(tank.High, tank.Wide) / 2
				return y*y+(z-r)*(z-r) < r*r && math.Abs(x) < tank.Long/2
			case vessel.Across:
				r = math.Min(tank.High, tank.Long) / 2
				return x*x+(z-r)*(z-r) < r*r && math.Abs(y) < tank.Wide/2
			case vessel.Saddle:
				if math.Abs(y) < 0.1 && z < 0.15 {
					return false
				}
			}
			return math.Abs(x) < tank.Long/2 && math.Abs(y) < tank.Wide/2 && z < tank.High
		}
		fill, slope := 0.1+0.8*rnd.Float64(), 0.1+rnd.Float64()
		level := tank.Level(fill)
		const n = 60
		sum := func(under func(x, y, z float64) bool) (v, mx, my, mz float64) {
			for i := range n {
				x := (float64(i)+0.5)/n*tank.Long - tank.Long/2
				for j := range n {
					y := (float64(j)+0.5)/n*tank.Wide - tank.Wide/2
					for l := range n {
						z := (float64(l) + 0.5) / n * tank.High
						if inside(x, y, z) && under(x, y, z) {
							v, mx, my, mz = v+1, mx+x, my+y, mz+z
						}
					}
				}
			}
			c := tank.Long * tank.Wide * tank.High / n / n / n
			return v * c, mx * c, my * c, mz * c
		}
		v, _, _, mz := sum(func(_, _, z float64) bool { return z < level })
		near(t, "volume", v, fill*tank.Volume(), 0.02*tank.Volume())
		_, centre := tank.Held(level)
		near(t, "centre", mz/v, centre, 0.02)
		for _, aside := range []bool{false, true} {
			low, high := -2.0, 4.0
			var got, mx, my, tz float64
			for range 18 {
				c := (low + high) / 2
				got, mx, my, tz = sum(func(x, y, z float64) bool {
					if aside {
						x = y
					}
					return z < c-slope*x
				})
				if got < v {
					low = c
				} else {
					high = c
				}
			}
			want := -mx / got
			if aside {
				want = -my / got
			}
			away, up := tank.Tilt(fill, slope, aside)
			near(t, "away", away, want, 0.025)
			near(t, "up", up, tz/got-mz/v, 0.025)
		}
	}
}

// Empty, full and senseless tanks give zero, never no number.
func TestTotal(t *testing.T) {
	for _, tank := range []vessel.Tank{{}, {Long: -1, Wide: 1, High: 1}, {Long: math.Inf(1), Wide: 1, High: 1}, {Kind: vessel.Saddle, Long: 1, Wide: 1, High: 1, TunnelWide: 2}} {
		if tank.OK() {
			t.Errorf("%+v is a tank", tank)
		}
		if a, b := tank.Tilt(0.5, 0.3, false); a != 0 || b != 0 {
			t.Errorf("%+v tilts", tank)
		}
	}
	box := vessel.Tank{Long: 1, Wide: 1, High: 1}
	for _, fill := range []float64{-1, 0, 1, 2, math.NaN()} {
		if a, b := box.Tilt(fill, 0.3, false); a != 0 || b != 0 {
			t.Errorf("fill %v tilts", fill)
		}
		if z := box.Level(fill); z < 0 || z > 1 || math.IsNaN(z) {
			t.Errorf("level %v", z)
		}
	}
}

func BenchmarkTilt(b *testing.B) {
	tank := vessel.Tank{Kind: vessel.Along, Long: 1.5, Wide: 0.9, High: 0.9, Baffles: 2}
	for b.Loop() {
		tank.Tilt(0.4, 0.3, false)
	}
}
