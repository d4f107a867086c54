package rig_test

import (
	"math"
	"testing"

	"zygonos/core/internal/sample"
	"zygonos/core/rig"
)

func approx(t *testing.T, what string, got, want float64) {
	t.Helper()
	if math.Abs(got-want) > 1e-6*math.Max(1, math.Abs(want)) {
		t.Errorf("%s: got %.9g, want %.9g", what, got, want)
	}
}

// A tank of 30 kg with 500 l of water, 1 m long from 0.5 m behind the front board:
// its middle at 2.0 m. 998.5·0.5 = 499.25 kg: total 250 + 30 + 499.25; the ball bears
// 20 + 529.25·0.5/2.5 = 125.85.
func TestTankOnTheRig(t *testing.T) {
	p := sample.Plan(t, "/loads/crate/mass/value", `30`, sample.Crate+"/at/back", `0.5`,
		"/loads/crate/tank", `{"fluid":"water","fill":0.5,"capacity":{"value":1,"plusMinus":0,"how":"plate"}}`)
	r := rig.Resolve(p, "t", "o")
	approx(t, "total", r.Total().Nominal, 250+30+499.25)
	approx(t, "ball", r.Bears.Ball.Nominal, 20+529.25*0.5/2.5)
	approx(t, "item's mass", r.Items[0].Mass.Nominal, 529.25)
	if r.Items[0].Lot == nil || r.Items[0].Lot.Contents == nil {
		t.Error("the fluid is not told")
	}
	// Not stated how full: nothing is computed, and it is asked for.
	r = rig.Resolve(sample.Plan(t, "/loads/crate/tank", `{"fluid":"water"}`), "t", "o")
	if r.Bears != nil || len(r.Needs) != 1 || r.Needs[0].Path != "/loads/crate/tank/fill" {
		t.Errorf("%+v", r.Needs)
	}
}

// Ten sheets of 2.44 × 1.22 × 0.018 m at 550 to 700 kg/m³: 334.9 kg (294.7 to 375.1),
// 180 mm high, from the front board to 3.44 m; the middle at 2.22 m.
func TestPackOnTheRig(t *testing.T) {
	p := sample.Plan(t, "/loads/crate/mass", "-", "/loads/crate/size", `{}`, "/loads/crate/centre", `{}`, sample.Crate+"/at/back", `0`,
		"/loads/crate/pieces", `{"material":"plywood","count":10,"length":2.44,"width":1.22,"thickness":0.018}`)
	r := rig.Resolve(p, "t", "o")
	it := r.Items[0]
	approx(t, "mass", it.Mass.Nominal, 10*2.44*1.22*0.018*625)
	approx(t, "least", it.Mass.Low, 10*2.44*1.22*0.018*550)
	approx(t, "height", it.Top-it.Bottom, 0.18)
	approx(t, "middle", it.X, 1+1.22)
	approx(t, "ball", r.Bears.Ball.Nominal, 20+it.Mass.Nominal*(2.5-2.22)/2.5)
}

// A heap fills the bed and lies about its middle; its volume is the guess.
func TestHeapOnTheRig(t *testing.T) {
	p := sample.Plan(t, "/loads/crate/mass", "-", "/loads/crate/size", `{}`, "/loads/crate/centre", `{}`, sample.Crate+"/at/back", `0`, "/trailers/t/sideHeight", `0.3`,
		"/loads/crate/bulk", `{"material":"bark","by":"level"}`)
	r := rig.Resolve(p, "t", "o")
	// 2.5·1.4·0.3 = 1.05 m³ at 180 to 550.
	approx(t, "mass", r.Items[0].Mass.Nominal, 1.05*365)
	approx(t, "at most", r.Items[0].Mass.High, 1.05*550)
	approx(t, "middle", r.Items[0].X, 2.25)
	for _, term := range r.Beam.Terms {
		if term.Name == "Crate" && term.Path != "/loads/crate/bulk" {
			t.Errorf("the guess stands at %s", term.Path)
		}
	}
}

// A kind's own centre is taken while none is stated: a zero-turn mower's lies at
// 55 to 68 % of its length.
func TestCentreOfKind(t *testing.T) {
	p := sample.Plan(t, "/loads/crate/kind", `"zero-turn"`, "/loads/crate/centre", `{}`)
	r := rig.Resolve(p, "t", "o")
	approx(t, "centre", r.Items[0].X, 1.75+0.615)
	p = sample.Plan(t, "/loads/crate/kind", `"zero-turn"`)
	approx(t, "stated centre", rig.Resolve(p, "t", "o").Items[0].X, 2.25)
}

// What is fitted is on in every outing and on the empty trailer, and an outing
// may put it elsewhere.
func TestFitted(t *testing.T) {
	box := `{"order":1,"name":"Toolbox","kind":"toolbox","mass":{"value":25,"plusMinus":0,"how":"weighed"},"size":{"length":{"value":0.5,"plusMinus":0,"how":"weighed"}},"centre":{"back":{"value":0.25,"plusMinus":0,"how":"weighed"}}}`
	sets := []string{"/parts/box", box, "/trailers/t/fitted", `{"box":{"at":{"back":-0.5}}}`}
	// Centre at 1.0 − 0.5 + 0.25 = 0.75 m behind the ball: 25·1.75/2.5 = 17.5 kg.
	r := rig.Resolve(sample.Plan(t, sets...), "t", "o")
	approx(t, "ball", r.Bears.Ball.Nominal, 60+17.5)
	if r.Items[0].PlacePath != "/trailers/t/fitted/box" || !r.Items[0].Part {
		t.Errorf("%+v", r.Items[0])
	}
	approx(t, "empty", rig.Resolve(sample.Plan(t, sets...), "t", "").Bears.Ball.Nominal, 20+17.5)
	r = rig.Resolve(sample.Plan(t, append(sets, "/outings/o/layouts/t/parts", `{"box":{"at":{"back":2.0}}}`)...), "t", "o")
	approx(t, "elsewhere", r.Bears.Ball.Nominal, 60+25*(2.5-3.25)/2.5)
	// Weighed with it on, at the same place: it counts once.
	r = rig.Resolve(sample.Plan(t, append(sets, "/trailers/t/empty/parts", `{"box":{"at":{"back":-0.5}}}`)...), "t", "o")
	approx(t, "already weighed", r.Bears.Ball.Nominal, 60)
}

// What stands on a thing moves with it.
func TestRiding(t *testing.T) {
	load := func(m string) string {
		return `{"order":2,"name":"L","mass":{"value":` + m + `,"plusMinus":0,"how":"weighed"},"size":{},"centre":{}}`
	}
	at := "/outings/o/layouts/t/placements/"
	r := rig.Resolve(sample.Plan(t, "/loads/a", load("50"), "/loads/b", load("7"), at+"a", `{"on":"load","id":"crate","at":{"back":0}}`, at+"b", `{"on":"load","id":"a","at":{"back":0}}`), "t", "o")
	want := map[string]float64{"crate": 457, "a": 57, "b": 7}
	for i := range r.Items {
		approx(t, r.Items[i].ID, r.Moves(i).Mass, want[r.Items[i].ID])
	}
}

func TestEmptyMass(t *testing.T) {
	for _, c := range []struct {
		empty string
		want  float64
	}{
		{`{"ball":{"mass":20},"axle":{"mass":230},"mass":{"value":300,"how":"plate"}}`, 250},
		{`{"ball":{"mass":20},"left":{"mass":110},"right":{"mass":125}}`, 255},
		{`{"mass":{"value":300,"how":"plate"}}`, 300},
		{`{"ball":{"mass":20}}`, 300}, // by its deck of 2.5 m: 180 to 420
	} {
		r := rig.Resolve(sample.Plan(t, "/trailers/t/empty", c.empty), "t", "o")
		m := r.EmptyMass()
		if m == nil {
			t.Errorf("%s: not known", c.empty)
			continue
		}
		approx(t, c.empty, m.Nominal, c.want)
	}
	if m := rig.Resolve(sample.Plan(t, "/trailers/t/empty", `{}`, "/trailers/t/deckLength", "-"), "t", "o").EmptyMass(); m != nil {
		t.Errorf("neither weight nor kind, and %v", m)
	}
}

// The wheel is drawn as large as the tyre's text says.
func TestWheelFromText(t *testing.T) {
	r := rig.Resolve(sample.Plan(t, "/trailers/t/tyreText", `"145/80 R13 79N"`), "t", "o")
	found := false
	for _, s := range r.Views()[0].Shapes {
		if s.Class == "wheel" {
			found = true
			approx(t, "radius", s.Radius, 0.5622/2)
		}
	}
	if !found {
		t.Error("no wheel is drawn")
	}
}
