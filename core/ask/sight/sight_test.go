package sight_test

import (
	"math"
	"testing"

	"zygonos/core/ask/sight"
	"zygonos/core/internal/sample"
	"zygonos/core/lang/finding"
	"zygonos/core/rig"
)

func seen(t *testing.T, sets ...string) []finding.Finding {
	t.Helper()
	return sight.Check(rig.Resolve(sample.Plan(t, sets...), "t", "o"))
}

// From an eye 2.8 m before the ball and 1.25 high over a sill 1.0 high, 0.35 before it: 0.25 in 2.45 m, so at 3.5 m
// behind 1 − 0.25·3.85/2.45 = 0.607.
func TestLine(t *testing.T) {
	if got := sight.Line(2.8, 1.25, 1.0, 0.35, 3.5); math.Abs(got-0.6071) > 1e-4 {
		t.Errorf("%v", got)
	}
	if got := sight.Line(2.8, 1.25, 1.0, 0.35, -0.35); got != 1 { // at the sill itself
		t.Errorf("%v", got)
	}
}

// The sample is widest at its wheels, 1.6/2 + 0.08 = 0.88 m; mirrors stand at 0.92 to 1.10.
func TestMirror(t *testing.T) {
	wide := func(m string) []string {
		return []string{"/trailers/t/widthOverAll", `{"value":` + m + `,"how":"weighed"}`}
	}
	for _, c := range []struct {
		sets []string
		want finding.Outcome
	}{
		{nil, finding.Holds}, {wide("2.0"), finding.Tight}, {wide("2.3"), finding.Fails},
		{append(wide("2.3"), "/towVehicles/car/mirrorOut", "1.25"), finding.Holds},
		{append(wide("2.0"), "/towVehicles/car/mirrorOut", "0.9"), finding.Fails},
		{[]string{"/loads/crate/size/width", `{"value":2.1,"how":"weighed"}`}, finding.Tight},
	} {
		if f := sample.Find(t, seen(t, c.sets...), sight.CodeMirror); f.Outcome != c.want {
			t.Errorf("%v: %s", c.sets, f.Outcome)
		}
	}
	// Beside the middle to the left or to the right is alike.
	for _, right := range []string{"0.6", "-0.6"} {
		f := sample.Find(t, seen(t, sample.Crate+"/at/right", right), sight.CodeMirror)
		if math.Abs(f.Figure.Value-1.0) > 1e-9 {
			t.Errorf("%s: %v", right, f.Figure.Value)
		}
	}
}

// A deck 0.5 m high with its tail 3.5 m behind the ball is under the line at 0.607: poles of 0.25 m show it.
func TestLow(t *testing.T) {
	deck := []string{"/trailers/t/deckHeight", `{"value":0.5,"how":"weighed"}`}
	f := sample.Find(t, seen(t, deck...), sight.CodeLow)
	if f.Outcome != finding.Tight || !f.Compares || math.Abs(f.Limit.Value-0.6071) > 1e-4 {
		t.Errorf("%+v", f)
	}
	if f := sample.Find(t, seen(t, append(deck, "/trailers/t/sideHeight", "0.4")...), sight.CodeLow); f.Outcome != finding.Holds {
		t.Errorf("with sides: %+v", f)
	}
}

// A spare wheel that hangs behind the tail down to 0.3 m hides what is there; a box on the deck does not.
func TestTail(t *testing.T) {
	part := `{"order":1,"name":"Spare","kind":"spare","mass":{"value":15,"how":"weighed"},"size":{"length":{"value":0.2,"how":"weighed"},
		"width":{"value":0.55,"how":"weighed"},"height":{"value":0.55,"how":"weighed"}},"centre":{}}`
	fs := seen(t, "/trailers/t/deckHeight", `{"value":0.5,"how":"weighed"}`, "/parts/s", part, "/trailers/t/fitted", `{"s":{"at":{"back":2.5,"up":-0.3}}}`)
	if f := sample.Find(t, fs, sight.CodeTail); f.Outcome != finding.Tight {
		t.Errorf("%+v", f)
	}
	for _, f := range seen(t, "/trailers/t/deckHeight", `{"value":0.5,"how":"weighed"}`) {
		if f.Code == sight.CodeTail {
			t.Errorf("%+v", f)
		}
	}
}
