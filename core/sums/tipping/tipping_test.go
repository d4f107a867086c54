package tipping_test

import (
	"errors"
	"math"
	"math/rand/v2"
	"testing"

	"zygonos/core/sums/tipping"
)

type vec = tipping.Vec

// gears are a bed hinged at 2.0 m, its front at 0, raised in every way.
var gears = map[string]tipping.Gear{
	"mast":     {Kind: tipping.Line, Hinge: vec{X: 2}, Pick: vec{X: 0.05}, Top: vec{X: 0, Z: 2.6}},
	"roller":   {Kind: tipping.Line, Hinge: vec{X: 2}, Pick: vec{X: 0.05, Z: 0.1}, Top: vec{X: 0.8, Z: 1.7}},
	"cylinder": {Kind: tipping.Cylinder, Hinge: vec{X: 2}, Pick: vec{X: 0.9, Z: -0.05}, Foot: vec{X: 0.4, Z: -0.35}},
	"swing":    {Kind: tipping.Swing, Hinge: vec{X: 2}, Pick: vec{X: 0.1}, Foot: vec{X: -0.2}, Top: vec{X: 0.3, Z: 1.3}, Drum: vec{X: -1.2, Z: 0.1}},
	"lever":    {Kind: tipping.Lever, Hinge: vec{X: 2}, Pick: vec{X: 0.9, Z: -0.05}, Foot: vec{X: 1.5, Z: -0.2}, Top: vec{X: 0.6, Z: -0.25}, Knee: vec{X: 1.0, Z: -0.1}, Drum: vec{X: 0.2, Z: -0.3}},
	"hand":     {Kind: tipping.Hand, Hinge: vec{X: 2}, Pick: vec{X: 0.05}},
}

var load = []tipping.Weight{{Kg: 600, Centre: vec{X: 1.1, Z: 0.3}}, {Kg: 90, Centre: vec{X: 1.05, Z: 0.02}}}

func sub(a, b vec) vec       { return vec{X: a.X - b.X, Z: a.Z - b.Z} }
func cross(r, f vec) float64 { return r.X*f.Z - r.Z*f.X } // about y, x towards z: front up is negative
func unit(a, b vec) vec {
	d := sub(b, a)
	n := math.Hypot(d.X, d.Z)
	return vec{X: d.X / n, Z: d.Z / n}
}
func times(a vec, k float64) vec { return vec{X: a.X * k, Z: a.Z * k} }

// Every five degrees: the pull by virtual work is that of free bodies, moments about the hinge for the bed and about
// its foot for mast and lever; all forces on the whole close.
func TestVirtualWorkIsStatics(t *testing.T) {
	for name, g := range gears {
		for deg := 0; deg <= 50; deg += 5 {
			f, err := g.Hold(load, float64(deg)*math.Pi/180)
			if err != nil {
				t.Errorf("%s at %d°: %v", name, deg, err)
				continue
			}
			if g.Kind == tipping.Swing && deg >= 25 { // mast, strap and hinge in one line: no pull gets it over that
				if !math.IsInf(f.Pull, 1) {
					t.Errorf("%s at %d°: %v N", name, deg, f.Pull)
				}
				continue
			}
			// the bed: weight and the force of what lifts it
			var moment, weight float64
			for _, w := range load {
				r := tipping.Turned(sub(w.Centre, g.Hinge), f.Angle)
				moment += cross(r, vec{Z: -w.Kg * tipping.Gravity})
				weight += w.Kg * tipping.Gravity
			}
			link := -moment / cross(sub(f.Pick, g.Hinge), f.Push)
			want := link
			foot := vec{}
			switch g.Kind {
			case tipping.Swing: // strap on the mast's top, line from the drum: moments about its foot
				q := sub(f.Top, g.Foot)
				line := unit(f.Top, g.Drum)
				want = link * cross(q, f.Push) / cross(q, line)
				foot = vec{X: line.X*want - f.Push.X*link, Z: line.Z*want - f.Push.Z*link}
			case tipping.Lever:
				q, k := sub(f.Top, g.Foot), sub(f.Knee, g.Foot)
				ram := unit(g.Drum, f.Knee)
				want = link * cross(q, f.Push) / cross(k, ram)
				foot = vec{X: ram.X*want - f.Push.X*link, Z: ram.Z*want - f.Push.Z*link}
			}
			if math.Abs(f.Pull-want) > 1e-6*math.Abs(want) || math.Abs(f.Link-link) > 1e-6*math.Abs(link) {
				t.Errorf("%s at %d°: pull %v, want %v; link %v, want %v", name, deg, f.Pull, want, f.Link, link)
			}
			if foot != (vec{}) && math.Hypot(foot.X-f.Foot.X, foot.Z-f.Foot.Z) > 1e-6*math.Abs(want) {
				t.Errorf("%s at %d°: foot %v, want %v", name, deg, f.Foot, foot)
			}
			on := times(f.Push, f.Link)
			if math.Hypot(f.Hinge.X-on.X, f.Hinge.Z-(on.Z-weight)) > 1e-6*weight {
				t.Errorf("%s at %d°: hinge %v", name, deg, f.Hinge)
			}
		}
	}
}

// The arm is how fast line or cylinder changes: by a difference over a small angle, and the work over the whole way is
// what the weights are lifted by.
func TestWork(t *testing.T) {
	for name, g := range gears {
		if g.Kind == tipping.Hand {
			continue
		}
		const steps = 2000
		to := 50 * math.Pi / 180
		if g.Kind == tipping.Swing {
			to = 15 * math.Pi / 180
		}
		work := 0.0
		last, err := g.Hold(load, 0)
		if err != nil {
			t.Fatal(name, err)
		}
		for i := 1; i <= steps; i++ {
			f, err := g.Hold(load, to*float64(i)/steps)
			if err != nil {
				t.Fatal(name, err)
			}
			work += (f.Pull + last.Pull) / 2 * math.Abs(f.Long-last.Long)
			if d := math.Abs(f.Long-last.Long) / (to / float64(steps)); math.Abs(d-(f.Arm+last.Arm)/2) > 1e-5 {
				t.Fatalf("%s: arm %v, by difference %v", name, f.Arm, d)
			}
			last = f
		}
		lifted := 0.0
		for _, w := range load {
			r := sub(w.Centre, g.Hinge)
			lifted += w.Kg * tipping.Gravity * (tipping.Turned(r, to).Z - r.Z)
		}
		if math.Abs(work-lifted) > 1e-5*lifted {
			t.Errorf("%s: work %v J, lifted %v", name, work, lifted)
		}
	}
}

// By hand: 600 kg of which half hang on the front end when the line pulls square to it; a mast over the front end pulls
// at 45° and takes √2 of that at the start. A cylinder's closed triangle by the law of cosines.
func TestByHand(t *testing.T) {
	half := []tipping.Weight{{Kg: 600, Centre: vec{X: 1}}}
	g := tipping.Gear{Kind: tipping.Line, Hinge: vec{X: 2}, Pick: vec{}, Top: vec{Z: 2}}
	f, _ := g.Hold(half, 0)
	if math.Abs(f.Pull-300*tipping.Gravity) > 1e-9 {
		t.Errorf("square: %v N", f.Pull)
	}
	g.Top = vec{X: -2, Z: 2}
	if f, _ = g.Hold(half, 0); math.Abs(f.Pull-300*tipping.Gravity*math.Sqrt2) > 1e-6 {
		t.Errorf("at 45°: %v N", f.Pull)
	}
	c := gears["cylinder"]
	a, b := sub(c.Pick, c.Hinge), sub(c.Foot, c.Hinge)
	la, lb := math.Hypot(a.X, a.Z), math.Hypot(b.X, b.Z)
	between := math.Acos((a.X*b.X + a.Z*b.Z) / la / lb)
	for deg := 0.0; deg <= 60; deg += 5 {
		s, err := c.At(deg * math.Pi / 180)
		want := math.Sqrt(la*la + lb*lb - 2*la*lb*math.Cos(between+deg*math.Pi/180))
		if err != nil || math.Abs(s.Long-want) > 1e-12 {
			t.Errorf("at %v°: %v, want %v", deg, s.Long, want)
		}
	}
	// the centre 0.9 m before the hinge and 0.3 over it stands over it at atan(3)
	if a, ok := g.Over([]tipping.Weight{{Kg: 5, Centre: vec{X: 1.1, Z: 0.3}}}); !ok || math.Abs(a-math.Atan(3)) > 1e-12 {
		t.Errorf("over at %v", a)
	}
	if m := c.Moment([]tipping.Weight{{Kg: 5, Centre: vec{X: 1.1, Z: 0.3}}}, math.Atan(3)); math.Abs(m) > 1e-12 {
		t.Errorf("there %v N·m", m)
	}
	if _, ok := g.Over([]tipping.Weight{{Kg: 5, Centre: vec{X: 1, Z: -0.1}}}); ok {
		t.Error("a centre under the hinge never runs over")
	}
	// four parts over sheaves of 0.9, one lead: 0.9·(1 + 0.9 + 0.81 + 0.729)
	if k := tipping.Tackle(4, 1, 0.9); math.Abs(k-0.9*3.439) > 1e-12 {
		t.Errorf("tackle %v", k)
	}
}

// Any places whatever give a state or an error, no number that is none.
func TestTotal(t *testing.T) {
	rnd := rand.New(rand.NewPCG(5, 6))
	at := func() vec { return vec{X: float64(rnd.IntN(5)) - 2, Z: float64(rnd.IntN(4)) - 1} }
	for range 20000 {
		g := tipping.Gear{Kind: tipping.Kind(rnd.IntN(5)), Hinge: at(), Pick: at(), Top: at(), Foot: at(), Drum: at(), Knee: at()}
		f, err := g.Hold(load, float64(rnd.IntN(20))*0.1)
		if err != nil {
			if !errors.Is(err, tipping.ErrPlace) && !errors.Is(err, tipping.ErrReach) {
				t.Fatal(err)
			}
			continue
		}
		if math.IsNaN(f.Pull + f.Link + f.Hinge.X + f.Hinge.Z + f.Foot.X + f.Foot.Z + f.Long) {
			t.Fatalf("%+v: %+v", g, f)
		}
	}
}

// A strut square under a bed's front end of 2 m takes 400 N of 60 kg whose centre is in the middle: 300 − 400/9.80665 kg are
// left for the hands. Closed it pushes 1.3 times as much. Its foot gets what it pushes, the hinge the rest of the weight.
func TestStrut(t *testing.T) {
	bed := []tipping.Weight{{Kg: 600, Centre: vec{X: 1}}}
	g := tipping.Gear{Kind: tipping.Hand, Hinge: vec{X: 2}, Pick: vec{}}
	g.Struts = []tipping.Strut{{Foot: vec{X: 0, Z: -0.5}, Pick: vec{}, Push: 400, Rise: 1.3, Closed: 0.3, Open: 0.5}}
	f, err := g.Hold(bed, 0)
	if want := 300*tipping.Gravity - 400; err != nil || math.Abs(f.Pull-want) > 1e-9 {
		t.Errorf("open: %v N, want %v (%v)", f.Pull, want, err)
	}
	if len(f.Struts) != 1 || math.Abs(f.Struts[0].Z+400) > 1e-9 ||
		math.Abs(f.Hinge.Z+600*tipping.Gravity-f.Pull-400) > 1e-9 {
		t.Errorf("hinge %v, strut %v", f.Hinge, f.Struts)
	}
	g.Struts[0].Foot.Z = -0.3
	if f, _ = g.Hold(bed, 0); math.Abs(f.Pull-(300*tipping.Gravity-520)) > 1e-9 {
		t.Errorf("closed: %v N", f.Pull)
	}
	// every five degrees against moments about the hinge, for each way to raise it
	for name, g := range gears {
		g.Struts = []tipping.Strut{
			{Foot: vec{X: 1.4, Z: -0.3}, Pick: vec{X: 1.2}, Push: 700, Rise: 1.25, Closed: 0.3, Open: 0.8},
			{Foot: vec{X: 0.2, Z: -0.4}, Pick: vec{X: 0.4, Z: 0.1}, Push: 300},
		}
		for deg := 0; deg <= 20; deg += 5 {
			f, err := g.Hold(load, float64(deg)*math.Pi/180)
			if err != nil || math.IsInf(f.Pull, 1) {
				continue
			}
			moment := cross(sub(f.Pick, g.Hinge), times(f.Push, f.Link))
			for _, w := range load {
				moment += cross(tipping.Turned(sub(w.Centre, g.Hinge), f.Angle), vec{Z: -w.Kg * tipping.Gravity})
			}
			for i, st := range g.Struts {
				moment += cross(tipping.Turned(sub(st.Pick, g.Hinge), f.Angle), times(f.Struts[i], -1))
			}
			if math.Abs(moment) > 1e-6*600*tipping.Gravity {
				t.Errorf("%s at %d°: %v N·m are left", name, deg, moment)
			}
		}
	}
}

func BenchmarkTip200(b *testing.B) {
	g := gears["lever"]
	for b.Loop() {
		for i := range 200 {
			if _, err := g.Hold(load, float64(i)*0.004); err != nil {
				b.Fatal(err)
			}
		}
	}
}
