package energy_test

import (
	"fmt"
	"math"
	"testing"

	"zygonos/core/ask/energy"
)

const two = `{"a":{"order":1,"name":"A","kind":"box","mass":{"value":200,"plusMinus":0,"how":"weighed"},
  "size":{"length":{"value":0.5,"plusMinus":0,"how":"weighed"},"width":{"value":0.8,"plusMinus":0,"how":"weighed"},"height":{"value":%[1]v,"plusMinus":0,"how":"weighed"}},
  "centre":{"back":{"value":0.25,"plusMinus":0,"how":"weighed"},"right":{"value":0,"plusMinus":0,"how":"weighed"}}},
 "b":{"order":2,"name":"B","kind":"box","mass":{"value":200,"plusMinus":0,"how":"weighed"},
  "size":{"length":{"value":0.5,"plusMinus":0,"how":"weighed"},"width":{"value":0.8,"plusMinus":0,"how":"weighed"},"height":{"value":%[1]v,"plusMinus":0,"how":"weighed"}},
  "centre":{"back":{"value":0.25,"plusMinus":0,"how":"weighed"},"right":{"value":0,"plusMinus":0,"how":"weighed"}}}}`

// The same load said as one crate or as two behind each other takes the same; side by side and twice as wide too; mirrored, on the
// other side, the same.
func TestSameRigSaidTwice(t *testing.T) {
	for _, high := range []float64{0.7, 2.2} {
		one := way(t, "/loads/crate/size/height/value", fmt.Sprint(high))
		halves := way(t, "/loads", fmt.Sprintf(two, high),
			"/outings/o/layouts/t/placements", `{"a":{"on":"deck","at":{"back":0.75}},"b":{"on":"deck","at":{"back":1.25}}}`)
		near(t, "two behind each other", halves.Whole.Value, one.Whole.Value)
		near(t, "their band", *halves.Whole.High, *one.Whole.High)
	}
	right := way(t, "/loads/crate/size/height/value", "2", "/outings/o/layouts/t/placements", `{"crate":{"on":"deck","at":{"back":0.75,"right":0.2}}}`)
	left := way(t, "/loads/crate/size/height/value", "2", "/outings/o/layouts/t/placements", `{"crate":{"on":"deck","at":{"back":0.75,"right":-0.2}}}`)
	near(t, "mirrored", left.Whole.Value, right.Whole.Value)
}

// The band by its parts: each figure put to its end alone lies within it, and it is no wider than all of them at their ends at once.
func TestBand(t *testing.T) {
	w := way(t, "/loads/crate/mass/plusMinus", "60", "/outings/o/drive", `{"stretches":{"a":{"order":1,"far":80000,"climb":600,"drop":300,"stops":8}},"home":"empty"}`)
	low, mid, high := *w.Whole.Low, w.Whole.Value, *w.Whole.High
	for _, c := range [][2]string{
		{"/loads/crate/mass/value", "460"}, {"/loads/crate/mass/value", "340"},
		{"/towVehicles/car/thirst", `{"by":"petrol","burns":6.3,"at":25}`}, {"/towVehicles/car/thirst", `{"by":"petrol","burns":5.7,"at":25}`},
	} {
		v := way(t, "/outings/o/drive", `{"stretches":{"a":{"order":1,"far":80000,"climb":600,"drop":300,"stops":8}},"home":"empty"}`,
			c[0], c[1]).Whole.Value
		if v < low || v > high {
			t.Errorf("%v: %v lies outside %v to %v", c, v, low, high)
		}
	}
	if (high-low)/mid > 0.5 {
		t.Errorf("%v to %v tells little of %v", low, high, mid)
	}
}

// The wind that hinders on the way out helps on the way home, and both together cost more than still air; a climb that is driven
// back costs fuel what its descent does not give.
func TestOutAndHome(t *testing.T) {
	take := func(drive string) float64 { return way(t, "/outings/o/drive", drive).Whole.Value }
	still, windy := take(`{"home":"loaded"}`), take(`{"home":"loaded","headwind":8}`)
	if windy <= still {
		t.Errorf("wind both ways: %v, still %v", windy, still)
	}
	// by hand: ½ρ·A·((v+w)² + (v−w)² − 2v²) = ρ·A·w² over 100 km for car and trailer
	want := 1e5 * 1.225 * (0.70 + 0.17) * 64 / 8.811e6
	near(t, "what the wind takes", windy-still, want)
	flat := take(`{"home":"loaded","stretches":{"a":{"order":1,"far":100000,"speed":25}}}`)
	hill := take(`{"home":"loaded","stretches":{"a":{"order":1,"far":100000,"speed":25,"climb":400}}}`)
	near(t, "a hill out and back", hill-flat, 2350*9.80665*400*0.75/8.811e6)
}

// Tens of thousands of kilometres, no way at all, a trailer without weight: a figure or what is missing, never no number.
func TestOdd(t *testing.T) {
	for _, sets := range [][]string{
		{"/outings/o/distance", "20000000"}, {"/outings/o/speed", "69"},
		{"/outings/o/drive", `{"headwind":-25}`}, {"/outings/o/drive", `{"stretches":{"a":{"order":1}}}`},
		{"/outings/o/drive", `{"begins":0,"spare":0.9}`, "/towVehicles/car/thirst/tank", "50"},
		{"/outings/o/drive", `{"stretches":{"a":{"order":1,"far":1000,"drop":9000}},"home":"loaded"}`},
		{"/outings/o/layouts/t/placements", "{}"}, {"/trailers/t/empty", "{}"},
	} {
		w := way(t, sets...)
		if w.Whole == nil && len(w.Needs) == 0 {
			t.Errorf("%v: neither a figure nor what is missing", sets)
		}
		if w.Whole != nil && (math.IsNaN(w.Whole.Value) || w.Whole.Value < 0) {
			t.Errorf("%v: %v", sets, w.Whole.Value)
		}
		for _, f := range energy.Check(resolved(t, sets...)) {
			if f.Figure != nil && math.IsNaN(f.Figure.Value) {
				t.Errorf("%v: %+v", sets, f)
			}
		}
	}
}
