package energy_test

import (
	"fmt"
	"math"
	"strings"
	"testing"

	"zygonos/core/ask/energy"
	"zygonos/core/internal/sample"
	"zygonos/core/lang/finding"
	"zygonos/core/lang/quantity"
	"zygonos/core/rig"
)

// resolved is the sample on 100 km at 25 m/s behind a petrol car that burns 6 l/100 km at that speed.
func resolved(t *testing.T, sets ...string) *rig.Rig {
	t.Helper()
	all := append([]string{
		"/towVehicles/car/thirst", `{"by":"petrol","burns":6,"at":25,"price":1.5}`,
		"/outings/o/distance", `100000`, "/outings/o/speed", `25`,
	}, sets...)
	return rig.Resolve(sample.Plan(t, all...), "t", "o")
}

func way(t *testing.T, sets ...string) *energy.Trip {
	t.Helper()
	return energy.Of(resolved(t, sets...))
}

func near(t *testing.T, what string, got, want float64) {
	t.Helper()
	if math.Abs(got-want) > 1e-4*math.Max(1, math.Abs(want)) {
		t.Errorf("%s: %v, want %v", what, got, want)
	}
}

// Worked by hand with η·H = 0.275·8.9·3.6 MJ = 8.811 MJ/l:
// air ½·1.225·0.17·25²·100 km = 6.5078 MJ = 0.7386 l; tyres 0.013·650·g·100 km = 8.2866 MJ = 0.9405 l;
// climbs (1700 + 650)·g·(500 − 100/4) = 10.9467 MJ = 1.2424 l; ten stops 10·½·650·25² = 2.0313 MJ = 0.2305 l.
func TestByHand(t *testing.T) {
	flat := way(t)
	near(t, "whole", flat.Whole.Value, 6+0.738601+0.940486)
	near(t, "by distance", flat.By.Value, flat.Whole.Value)
	near(t, "alone", flat.Alone.Value, 6)
	near(t, "drag", flat.Drag.Value, 0.17)
	near(t, "money", flat.Money.Value, 1.5*flat.Whole.Value)
	near(t, "by weight", flat.PerTon.Value, 1.5*flat.Whole.Value/0.4)
	near(t, "CO2", flat.CO2.Value, 2.31*flat.Whole.Value)
	hilly := way(t, "/outings/o/drive",
		`{"stretches":{"a":{"order":1,"far":60000,"speed":25,"climb":500,"stops":10},"b":{"order":2,"far":40000,"speed":25,"drop":100}}}`)
	near(t, "hilly", hilly.Whole.Value, flat.Whole.Value+1.242388+0.230536)
	// electric: η 0.84 of 3.6 MJ = 3.024 MJ/kWh; half of a stop comes back, and half of a descent
	e := way(t, "/towVehicles/car/thirst", `{"by":"electric","draws":17,"at":25}`, "/outings/o/drive",
		`{"stretches":{"a":{"order":1,"far":100000,"speed":25,"climb":500,"drop":100,"stops":10}}}`)
	near(t, "electric", e.Whole.Value, 17+(6.5078125+8.28661925+2350*quantity.Gravity*450e-6+2.03125/2)/3.024)
	if e.CO2 != nil {
		t.Error("an electric car has no CO₂ of its own")
	}
}

// A body that stands out of the car's outline takes air by its area outside alone; what overlaps counts once.
func TestDrag(t *testing.T) {
	tall := resolved(t, "/loads/crate/size/height/value", `2`, "/loads/crate/size/width/value", `1.96`)
	top := tall.Items[0].Top
	outside := 1.96*(top-1.45) + (1.96-1.76)*(1.45-tall.Items[0].Bottom)
	near(t, "tall", energy.DragOf(tall, false).Nominal, 0.17+0.85*outside)
	near(t, "at home", energy.DragOf(tall, true).Nominal, 0.17)
	near(t, "low", energy.DragOf(resolved(t), false).High, 0.25)
}

// More speed, area, mass, wind or climb never takes less; out and home alike on the flat is twice; units and order do not matter.
func TestDirections(t *testing.T) {
	take := func(sets ...string) float64 { return way(t, sets...).Whole.Value }
	drive := func(of string) func(x float64) float64 {
		return func(x float64) float64 { return take("/outings/o/drive", fmt.Sprintf(of, x)) }
	}
	rising := map[string]func(x float64) float64{
		"speed":  func(x float64) float64 { return take("/outings/o/speed", fmt.Sprint(15+5*x)) },
		"mass":   func(x float64) float64 { return take("/loads/crate/mass/value", fmt.Sprint(100*x+1)) },
		"height": func(x float64) float64 { return take("/loads/crate/size/height/value", fmt.Sprint(0.5+0.5*x)) },
		"wind":   drive(`{"headwind":%v}`),
		"climb":  drive(`{"stretches":{"a":{"order":1,"far":1e5,"climb":%v}}}`),
		"stops":  drive(`{"stretches":{"a":{"order":1,"far":1e5,"stops":%v}}}`),
	}
	for name, f := range rising {
		last := f(0)
		for x := 1.0; x <= 6; x++ {
			if now := f(x); now < last-1e-12 || now <= 0 {
				t.Errorf("%s %v: %v after %v", name, x, now, last)
			} else {
				last = now
			}
		}
	}
	one := take()
	near(t, "out and home", take("/outings/o/drive", `{"home":"loaded"}`), 2*one)
	near(t, "two stretches", take("/outings/o/drive",
		`{"stretches":{"b":{"order":2,"far":30000,"speed":25},"a":{"order":1,"far":70000,"speed":25}}}`), one)
	near(t, "a factor", take("/towVehicles/car/thirst/factor", "1.1"), 1.1*one)
	near(t, "other units", take("/units", `"imperial"`), one)
	if empty := take("/outings/o/drive", `{"home":"empty"}`); empty <= one || empty >= 2*one {
		t.Errorf("home empty: %v of %v", empty, one)
	}
}

// The band holds whatever single figure is off, and that it comes home is said by the unkind end.
func TestComesHome(t *testing.T) {
	w := way(t)
	if !(*w.Whole.Low < w.Whole.Value && w.Whole.Value < *w.Whole.High) {
		t.Fatalf("%+v", w.Whole)
	}
	with := func(battery float64, drive string) *rig.Rig {
		return resolved(t, "/towVehicles/car/thirst",
			fmt.Sprintf(`{"by":"electric","draws":18,"at":25,"battery":%v}`, battery), "/outings/o/drive", drive)
	}
	home := `{"home":"empty","spare":0}`
	need := energy.Of(with(60, home)).Whole
	for _, c := range []struct {
		has  float64
		want finding.Outcome
		says string
	}{
		{80, finding.Holds, "It comes home"}, {20, finding.Tight, "charge at least"},
		{*need.High * 1.001, finding.Holds, "comes home"}, // just over the unkind end, and just under it
		{*need.High * 0.999, finding.Tight, "likely"}, {need.Value * 0.999, finding.Tight, "charge at least"},
	} {
		f := sample.Find(t, energy.Check(with(c.has, home)), energy.CodeRange)
		if f.Outcome != c.want || !strings.Contains(f.Says.Text(quantity.Locale{}), c.says) {
			t.Errorf("%v kWh: %v %v", c.has, f.Outcome, f.Says.Text(quantity.Locale{}))
		}
	}
	out := energy.Of(with(60, `{"begins":0.8,"spare":0.2}`))
	near(t, "range", out.Range.Value, 36/out.Whole.Value*100000)
}

// Two drives with half the load each against one: never less in all.
func TestSplit(t *testing.T) {
	for _, home := range []string{"", "empty", "loaded"} {
		one, two, ok := energy.Split(resolved(t, "/outings/o/drive", `{"home":"`+home+`"}`))
		if !ok || two.Value <= one.Value {
			t.Errorf("%q: %+v %+v", home, one, two)
		}
	}
	// a rack stays on for both drives: by hand its tyres' 0.013·80·g·100 km = 1.0199 MJ = 0.11575 l each time
	rack := []string{"/parts/rack", `{"order":1,"name":"Rack","mass":{"value":80,"plusMinus":0,"how":"weighed"},"size":{},"centre":{}}`,
		"/outings/o/layouts/t/parts", `{"rack":{"at":{"back":1}}}`, "/outings/o/drive", `{"home":"loaded"}`}
	bare, racked := resolved(t, "/outings/o/drive", `{"home":"loaded"}`), resolved(t, rack...)
	_, without, _ := energy.Split(bare)
	_, with, ok := energy.Split(racked)
	if !ok {
		t.Fatal("a rack makes nothing unknown")
	}
	near(t, "with a rack", with.Value-without.Value, 4*0.115751)
	near(t, "a tonne of load", energy.Of(racked).PerTon.Value, energy.Of(racked).Money.Value/0.4)
	if _, _, ok := energy.Split(resolved(t, "/outings/o/layouts/t/placements", "{}")); ok {
		t.Error("nothing to split")
	}
}

// What is missing is named, and nothing holds for a blank.
func TestNeeds(t *testing.T) {
	for _, c := range []struct{ path, need string }{
		{"/towVehicles/car/thirst", "/towVehicles/car/thirst/by"},
		{"/towVehicles/car/thirst/burns", "/towVehicles/car/thirst/burns"},
		{"/outings/o/distance", "/outings/o/distance"},
		{"/outings/o/vehicle", "/outings/o/vehicle"},
		{"/loads/crate/mass", "/loads/crate/mass"},
	} {
		w := way(t, "/loads/crate/kind", `""`, c.path, "-")
		if w.Whole != nil || len(w.Needs) == 0 || w.Needs[0].Path != c.need {
			t.Errorf("%s: %+v", c.path, w.Needs)
		}
	}
	// a stretch whose length is not stated is no stretch of zero: nothing holds without it
	part := []string{"/towVehicles/car/thirst/tank", "50", "/outings/o/drive",
		`{"stretches":{"a":{"order":1,"far":5000},"b":{"order":2,"climb":300}}}`}
	if w := way(t, part...); w.Whole != nil || w.Needs[0].Path != "/outings/o/drive/stretches/b/far" {
		t.Errorf("%+v", w)
	}
	if fs := energy.Check(resolved(t, part...)); len(fs) != 1 || fs[0].Outcome != finding.Unknown {
		t.Errorf("%+v", fs)
	}
	fs := energy.Check(resolved(t, "/loads/crate/kind", `""`, "/loads/crate/mass", "-", "/towVehicles/car/thirst/tank", "50"))
	if len(fs) != 1 || fs[0].Outcome != finding.Unknown {
		t.Errorf("%+v", fs)
	}
	if w := energy.Of(nil); w.Whole != nil || len(w.Needs) == 0 {
		t.Error("no rig")
	}
}

// By hand with 12.6 MJ/l: 3.3 − 0.2678 at 80 instead of 90 km/h, 0.2449 of air, 0.3946 of tyres.
func ExampleOf() {
	t := &testing.T{}
	r := rig.Resolve(sample.Plan(t,
		"/towVehicles/car/thirst", `{"by":"diesel","burns":5.5}`, "/outings/o/distance", `60000`), "t", "o")
	fmt.Println(energy.Of(r).Says.Text(quantity.Locale{Units: quantity.Metric, Region: quantity.EU}))
	// Output: 3.7 l for 60 km, 21 % more than the car alone.
}
