package deck_test

import (
	"math"
	"testing"

	"zygonos/core/ask/deck"
	"zygonos/core/internal/sample"
	"zygonos/core/lang/finding"
	"zygonos/core/rig"
)

func check(t *testing.T, sets ...string) []finding.Finding {
	t.Helper()
	return deck.Check(rig.Resolve(sample.Plan(t, append([]string{
		"/trailers/t/floor", `"ply"`, "/trailers/t/floorThick", "0.018", "/trailers/t/floorSpan", "0.4",
		"/loads/crate/mass/value", "500", "/loads/crate/rolling", "{}",
	}, sets...)...), "t", "o"))
}

// The figures of docs/method/deck.md: a machine of 500 kg on plywood of 18 mm over 400 mm, 7.588 MPa of 7.0; of
// 22 mm, 5.080. On boards C16 of 120 mm and 27 mm thick: the print of 150 mm rests on 0.15 m of them, W 18.225
// cm³, 7.869 MPa against 11.2/2 = 5.6.
func TestBears(t *testing.T) {
	for _, c := range []struct {
		sets    []string
		outcome finding.Outcome
		stress  float64
	}{
		{nil, finding.Fails, 7.588e6},
		{[]string{"/trailers/t/floorThick", "0.022"}, finding.Holds, 5.080e6},
		{[]string{"/trailers/t/floor", `"boards"`, "/trailers/t/floorThick", "0.027"}, finding.Fails, 7.869e6},
		// on one track, as a motorcycle: twice as much on a wheel
		{[]string{"/loads/crate/kind", `"motorcycle"`, "/loads/crate/mass/value", "250"}, finding.Fails, 7.588e6},
		// on castors of 100 mm: 180 kg on 40 mm
		{[]string{"/loads/crate/rolling", `{"wheel":0.1}`}, finding.Fails, 180 * 9.80665 * (0.1 - 0.005) / (0.24 * 0.018 * 0.018 / 6)},
		// one who stands on it: 980.665·(0.1 − 0.01) = 88.26 N·m on 0.28 m
		{[]string{"/loads/crate/rolling", "-", "/loads/crate/kind", `"box"`}, finding.Holds, 88.26 / (0.28 * 0.018 * 0.018 / 6)},
		// a stove of 500 kg on skates: 240 kg on 40 mm
		{[]string{"/loads/crate/rolling", "-", "/outings/o/layouts/t/shift", `{"load":"crate"}`}, finding.Fails,
			240 * 9.80665 * (0.1 - 0.005) / (0.24 * 0.018 * 0.018 / 6)},
	} {
		f := sample.Find(t, check(t, c.sets...), deck.CodeBears)
		if f.Outcome != c.outcome || math.Abs(f.Figure.Value-c.stress) > 2e-3*c.stress || len(f.Work()) == 0 {
			t.Errorf("%v: %s %+v, want %s %.4g", c.sets, f.Outcome, f.Figure, c.outcome, c.stress)
		}
	}
	// 180 kg on 0.35 m of 22 mm: F·L³/48EI
	f := sample.Find(t, check(t, "/trailers/t/floorThick", "0.022"), deck.CodeSags)
	want := 180 * 9.80665 * 0.064 / (48 * 4.2e9 * 0.35 * math.Pow(0.022, 3) / 12)
	if math.Abs(f.Figure.Value-want) > 1e-9 {
		t.Errorf("gives %v, want %v", f.Figure.Value, want)
	}
}

// Thickness, span and material are asked for where something rolls on the floor; where nothing does and no thickness is
// stated, or neither that nor the material, nothing is said.
func TestAsks(t *testing.T) {
	for _, sets := range [][]string{
		{"/loads/crate/kind", `"box"`, "/loads/crate/rolling", "-"},
		{"/trailers/t/floor", "-"},
	} {
		if fs := check(t, append(sets, "/trailers/t/floorThick", "-")...); len(fs) > 0 {
			t.Errorf("%v: %+v", sets, fs)
		}
	}
	for _, gone := range []string{"/trailers/t/floorThick", "/trailers/t/floorSpan", "/trailers/t/floor"} {
		f := sample.Find(t, check(t, gone, "-"), deck.CodeBears)
		if f.Outcome != finding.Unknown || len(f.Needs) == 0 {
			t.Errorf("%s: %s", gone, f.Outcome)
		}
	}
	// bare cross members carry no wheel between them
	if f := sample.Find(t, check(t, "/trailers/t/floor", `"open"`), deck.CodeBears); f.Outcome != finding.Unknown {
		t.Errorf("open: %s", f.Outcome)
	}
}

// Thicker, or a nearer cross member: never used more.
func TestMonotone(t *testing.T) {
	last := math.Inf(1)
	for _, thick := range []string{"0.012", "0.015", "0.018", "0.027"} {
		s := sample.Find(t, check(t, "/trailers/t/floorThick", thick), deck.CodeBears).Figure.Value
		if s >= last {
			t.Errorf("%s: %v", thick, s)
		}
		last = s
	}
	last = 0
	for _, span := range []string{"0.3", "0.4", "0.6", "0.9"} {
		s := sample.Find(t, check(t, "/trailers/t/floorSpan", span), deck.CodeBears).Figure.Value
		if s <= last {
			t.Errorf("%s: %v", span, s)
		}
		last = s
	}
}

// A machine whose weight is not known leaves the floor not known, as does one whose contents alone are; what
// rides on a machine presses through its wheels, as if it were part of it.
func TestWhole(t *testing.T) {
	for _, sets := range [][]string{
		{"/loads/crate/mass", "-", "/loads/crate/kind", "-"},
		{"/loads/crate/mass", "-", "/loads/crate/kind", "-", "/loads/crate/contents", `{"a":{"order":1,"name":"A","mass":{"value":9,"how":"weighed"},"at":{"back":0.1}}}`},
	} {
		f := sample.Find(t, check(t, append(sets, "/trailers/t/floorThick", "0.03")...), deck.CodeBears)
		if f.Outcome != finding.Unknown || len(f.Needs) == 0 {
			t.Errorf("%v: %s", sets, f.Outcome)
		}
	}
	whole := sample.Find(t, check(t), deck.CodeBears).Figure.Value
	parts := sample.Find(t, check(t, "/loads/crate/mass/value", "400", "/loads/top",
		`{"order":2,"name":"Top","mass":{"value":100,"plusMinus":0,"how":"weighed"},"size":{},"centre":{}}`,
		"/outings/o/layouts/t/placements/top", `{"on":"load","id":"crate","at":{"back":0}}`), deck.CodeBears).Figure.Value
	if math.Abs(parts-whole) > 1e-6*whole {
		t.Errorf("in two bodies %v, in one %v", parts, whole)
	}
}
