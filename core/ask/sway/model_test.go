package sway

import (
	"math"
	"testing"

	"gonum.org/v1/gonum/mat"
)

// pendulum is a trailer behind a car so heavy that it runs straight on.
func pendulum(lag float64) Model {
	return Model{CarMass: 1e12, CarInertia: 1e12, Front: 1.3, Rear: 1.4, Hitch: 2.4,
		Mass: 700, Inertia: 900, Centre: 2.6, Axle: 2.85, Tyres: 50000, Lag: lag}
}

// J = 900 + 700·2.6² = 5632; √(C·l/J) = √(50000·2.85/5632) = 5.0301 rad/s; at 25 m/s
// ζ = 2.85/(2·25)·5.0301 = 0.286716. With a lag of 0.05 m to first order
// (2.85 − 0.05)/50·5.0301 = 0.281686.
func TestPendulum(t *testing.T) {
	m := pendulum(0)
	mode, ok := m.At(25)
	if !ok || math.Abs(mode.Damping-0.286716) > 2e-5 || math.Abs(mode.Rate-5.0301) > 2e-4 {
		t.Errorf("no lag: %+v", mode)
	}
	m = pendulum(0.05)
	if mode, ok = m.At(25); !ok || math.Abs(mode.Damping-0.281686) > 0.001 {
		t.Errorf("short lag: %+v", mode)
	}
	// By the characteristic polynomial of the pendulum with any lag:
	// (σ/V)s³ + s² + (C·l²/(J·V))s + C·l/J = 0 has the root that the model finds.
	m = pendulum(0.4)
	mode, _ = m.At(25)
	re, im := -mode.Damping*mode.Rate, mode.Rate*math.Sqrt(1-mode.Damping*mode.Damping)
	s := complex(re, im)
	j := 900 + 700*2.6*2.6
	left := complex(0.4/25, 0)*s*s*s + s*s + complex(50000*2.85*2.85/(j*25), 0)*s + complex(50000*2.85/j, 0)
	if math.Hypot(real(left), imag(left)) > 1e-4*mode.Rate*mode.Rate {
		t.Errorf("the root leaves %v", left)
	}
}

// An ordinary car and trailer for the checks below.
func ordinary() Model {
	g := Nominal
	s := Rig{CarMass: 1700, Base: 2.7, Front: 1.2, Rear: 1.5, Overhang: 1.1, FrontLoad: 9.81 * 900, RearLoad: 9.81 * 900,
		Mass: 900, Centre: 2.7, Axle: 2.9, OnAxle: 9.81 * 840, Inertia: 1100}
	return s.Model(g)
}

// TestTimeHistory integrates the full plane motion, large angles and all, from
// Newton's and Euler's laws with the coupling as a constraint, and holds the
// decay of its swings against the linear model's root.
func TestTimeHistory(t *testing.T) {
	for _, v := range []float64{18, 25, 32} {
		m := ordinary()
		mode, ok := m.At(v)
		if !ok || mode.Diverges {
			t.Fatalf("%+v", mode)
		}
		zeta, period := swings(&m, v, 0.004)
		if math.Abs(zeta-mode.Damping) > 0.02*mode.Damping+0.002 {
			t.Errorf("at %v m/s the swings decay by %.4f, the root says %.4f", v, zeta, mode.Damping)
		}
		want := 2 * math.Pi / (mode.Rate * math.Sqrt(1-mode.Damping*mode.Damping))
		if math.Abs(period-want) > 0.02*want {
			t.Errorf("at %v m/s a swing takes %.3f s, the root says %.3f", v, period, want)
		}
	}
}

// motion is the state of the plane motion: the car's velocity, headings and
// their rates, side forces.
type motion struct{ vx, vy, h1, w1, h2, w2, f1, f2, f3 float64 }

func (s motion) plus(d motion, k float64) motion {
	return motion{s.vx + k*d.vx, s.vy + k*d.vy, s.h1 + k*d.h1, s.w1 + k*d.w1, s.h2 + k*d.h2, s.w2 + k*d.w2, s.f1 + k*d.f1, s.f2 + k*d.f2, s.f3 + k*d.f3}
}

func rates(m *Model, s motion) motion {
	u1x, u1y := math.Cos(s.h1), math.Sin(s.h1)
	u2x, u2y := math.Cos(s.h2), math.Sin(s.h2)
	n1x, n1y, n2x, n2y := -u1y, u1x, -u2y, u2x
	c, e, l := m.Hitch, m.Centre, m.Axle
	// The trailer's centre follows from the coupling.
	t2x := s.vx - c*s.w1*n1x - e*s.w2*n2x
	t2y := s.vy - c*s.w1*n1y - e*s.w2*n2y
	slip := func(vx, vy, ux, uy, nx, ny, arm, w float64) float64 {
		return -math.Atan2(vx*nx+vy*ny+arm*w, vx*ux+vy*uy)
	}
	a1 := slip(s.vx, s.vy, u1x, u1y, n1x, n1y, m.Front, s.w1)
	a2 := slip(s.vx, s.vy, u1x, u1y, n1x, n1y, -m.Rear, s.w1)
	a3 := slip(t2x, t2y, u2x, u2y, n2x, n2y, -(l - e), s.w2)
	speed := math.Hypot(s.vx, s.vy)
	// Unknown: car's and trailer's accelerations, yaw accelerations, force at the
	// ball on the trailer.
	a := mat.NewDense(8, 8, nil)
	b := mat.NewVecDense(8, nil)
	put := func(row int, right float64, pairs ...float64) {
		for i := 0; i < len(pairs); i += 2 {
			a.Set(row, int(pairs[i]), pairs[i+1])
		}
		b.SetVec(row, right)
	}
	put(0, (s.f1+s.f2)*n1x, 0, m.CarMass, 6, 1)
	put(1, (s.f1+s.f2)*n1y, 1, m.CarMass, 7, 1)
	put(2, m.Front*s.f1-m.Rear*s.f2, 2, m.CarInertia, 6, -c*n1x, 7, -c*n1y) // force −H at −c·u1
	put(3, s.f3*n2x, 3, m.Mass, 6, -1)
	put(4, s.f3*n2y, 4, m.Mass, 7, -1)
	put(5, -(l-e)*s.f3, 5, m.Inertia, 6, -e*n2x, 7, -e*n2y) // H at e·u2
	// a1 − c(α1·n1 − ω1²·u1) = a2 + e(α2·n2 − ω2²·u2)
	put(6, -c*s.w1*s.w1*u1x-e*s.w2*s.w2*u2x, 0, 1, 2, -c*n1x, 3, -1, 5, -e*n2x)
	put(7, -c*s.w1*s.w1*u1y-e*s.w2*s.w2*u2y, 1, 1, 2, -c*n1y, 4, -1, 5, -e*n2y)
	var x mat.VecDense
	if err := x.SolveVec(a, b); err != nil {
		panic(err)
	}
	k := speed / m.Lag
	return motion{x.AtVec(0), x.AtVec(1), s.w1, x.AtVec(2), s.w2, x.AtVec(5),
		k * (m.FrontTyres*a1 - s.f1), k * (m.RearTyres*a2 - s.f2), k * (m.Tyres*a3 - s.f3)}
}

// swings gives the damping ratio and the period of the articulation angle after a
// push of the trailer, from its second turning point on.
func swings(m *Model, v, push float64) (zeta, period float64) {
	s := motion{vx: v, w2: push}
	const dt = 0.002
	var at, peaks []float64
	before, slope := 0.0, 0.0
	for n := 0; n < 6000 && len(peaks) < 4; n++ {
		k1 := rates(m, s)
		k2 := rates(m, s.plus(k1, dt/2))
		k3 := rates(m, s.plus(k2, dt/2))
		k4 := rates(m, s.plus(k3, dt))
		s = s.plus(k1, dt/6).plus(k2, dt/3).plus(k3, dt/3).plus(k4, dt/6)
		angle := s.h2 - s.h1
		rate := s.w2 - s.w1
		if slope*rate < 0 && n > 0 {
			w := slope / (slope - rate)
			at, peaks = append(at, (float64(n)+w)*dt), append(peaks, before+(angle-before)*w)
		}
		before, slope = angle, rate
	}
	// From swing to swing, so that a slow drift of the angle drops out.
	d := math.Log((peaks[1] - peaks[2]) / (peaks[3] - peaks[2]))
	return d / math.Sqrt(math.Pi*math.Pi+d*d), at[3] - at[1]
}

// What practice says of the ways to calm a trailer, by the model.
func TestWays(t *testing.T) {
	base := ordinary()
	zeta := func(m Model) float64 {
		mode, ok := m.At(25)
		if !ok {
			t.Fatal("no mode")
		}
		return mode.Damping
	}
	was := zeta(base)
	for _, way := range []struct {
		name   string
		change func(*Model)
		calmer bool
	}{
		{"more ball load", func(m *Model) { m.Centre -= 0.1 }, true},
		{"a longer drawbar", func(m *Model) { m.Centre += 0.5; m.Axle += 0.5 }, true},
		{"stiffer trailer tyres", func(m *Model) { m.Tyres *= 1.2 }, true},
		{"a longer lag of the tyres", func(m *Model) { m.Lag += 0.1 }, false},
		{"more yaw inertia", func(m *Model) { m.Inertia *= 1.3 }, false},
		{"more mass on the same tyres", func(m *Model) { m.Mass *= 1.2; m.Inertia *= 1.2 }, false},
		{"a longer overhang", func(m *Model) { m.Hitch += 0.4 }, false},
	} {
		m := base
		way.change(&m)
		if z := zeta(m); (z > was) != way.calmer {
			t.Errorf("%s: damping %.4f, was %.4f", way.name, z, was)
		}
	}
}

// A car that oversteers has a speed above which a real root grows: for a car
// alone V² = wb/K with K = (m/wb)(a/C_r − b/C_f)·… Here the trailer weighs nothing to
// speak of: m 1500, a 1.5, b 1.2, C 60000 in front, 40000 behind:
// V² = C_f·C_r·wb²/(m(a·C_f − b·C_r)) = 60000·40000·7.29/(1500·42000) = 277.71,
// V = 16.665 m/s.
func TestDiverges(t *testing.T) {
	m := Model{CarMass: 1500, CarInertia: 2500, Front: 1.5, Rear: 1.2, Hitch: 2.2, FrontTyres: 60000, RearTyres: 40000,
		Mass: 1e-6, Inertia: 1e-6, Centre: 2.5, Axle: 2.6, Tyres: 0.05, Lag: 0.4}
	for v, want := range map[float64]bool{16.6: false, 16.8: true} {
		mode, ok := m.At(v)
		if !ok || mode.Diverges != want {
			t.Errorf("at %v m/s: %+v %v", v, mode, ok)
		}
	}
}

func TestNoModel(t *testing.T) {
	for _, change := range []func(*Model){
		func(m *Model) { m.Mass = 0 }, func(m *Model) { m.Axle = 0 }, func(m *Model) { m.CarMass = math.NaN() }, func(m *Model) { m.Tyres = math.Inf(1) },
	} {
		m := ordinary()
		change(&m)
		if mode, ok := m.At(25); ok {
			t.Errorf("%+v comes to %+v", m, mode)
		}
	}
	m := ordinary()
	if _, ok := m.At(0); ok {
		t.Error("a mode at rest")
	}
	m.Tyres = 0 // no side force at the trailer: it only drifts round
	if mode, ok := m.At(25); !ok || math.IsNaN(mode.Damping) {
		t.Errorf("%+v %v", mode, ok)
	}
}

func BenchmarkMode(b *testing.B) {
	m := ordinary()
	for b.Loop() {
		m.At(25)
	}
}
