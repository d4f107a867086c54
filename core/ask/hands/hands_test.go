package hands_test

import (
	"math"
	"testing"

	"zygonos/core/ask/hands"
	"zygonos/core/internal/sample"
	"zygonos/core/lang/finding"
	"zygonos/core/rig"
)

// A box from 1 to 2 m and 0.5 to 1 m high: beside it 0.3 less 0.2; over its corner 0.5 (3-4-5) less 0.2; within it −0.2.
func TestRoom(t *testing.T) {
	for _, c := range []struct{ x, z, want float64 }{{0.7, 0.7, 0.1}, {0.6, 1.3, 0.3}, {1.5, 0.7, -0.2}} {
		if got := hands.Room(c.x, c.z, 0.2, 1, 2, 0.5, 1); math.Abs(got-c.want) > 1e-12 {
			t.Errorf("%v, %v: %v", c.x, c.z, got)
		}
	}
}

// The deck begins 1 m behind the ball and lies 0.5 m high, the crate's face 1.75 m. A crank of 0.3 m, 0.36 with the
// knuckles, 0.4 m over the deck: 40 mm over it. 0.3 m over it, it strikes it by 60 mm; set back 0.5 m, the crate by
// 1.75 − 1.5 = 0.25, 110 mm. Aside of the crate by 1.5 m it strikes nothing but the deck's side is out of reach.
func TestCheck(t *testing.T) {
	for told, want := range map[string]struct {
		outcome finding.Outcome
		figure  float64
	}{
		`{"back":0,"up":0.4,"crank":0.3}`:                {finding.Holds, 0.04},
		`{"back":0,"up":0.38,"crank":0.3}`:               {finding.Tight, 0.02},
		`{"back":0,"up":0.3,"crank":0.3}`:                {finding.Fails, -0.06},
		`{"back":0.5,"up":0.4,"crank":0.3}`:              {finding.Fails, -0.11},
		`{"back":0,"up":0.4,"lever":{"handle":0.5}}`:     {finding.Fails, -0.16},
		`{"back":0.5,"up":0.4,"aside":1.5,"crank":0.3}`:  {finding.Holds, math.NaN()},
		`{"back":0.5,"up":0.4,"aside":-1.5,"crank":0.3}`: {finding.Holds, math.NaN()},
	} {
		r := rig.Resolve(sample.Plan(t, "/trailers/t/deckHeight", `{"value":0.5,"how":"weighed"}`,
			"/outings/o/layouts/t/loading", `{"machine":"crate","winch":`+told+`}`), "t", "o")
		f := sample.Find(t, hands.Check(r), hands.CodeRoom)
		if f.Outcome != want.outcome || !math.IsNaN(want.figure) && math.Abs(f.Figure.Value-want.figure) > 1e-9 {
			t.Errorf("%s: %s %+v", told, f.Outcome, f.Figure)
		}
	}
}

// A gate at the tail, 3.5 to 3.6 m behind the ball, 1.2 m high on a deck at 0.5: its latch at the top in
// the middle is at (3.6, 0, 1.7). A 0.2 m lever sweeps 0.26 m round it. The crate, turned up to 3.4 m, is
// 0.7 m high (top 1.2): from the latch 0.2 m fore and 0.5 m down, √0.29 − 0.26 = 278.5 mm. With a box
// of 1.4 m top at the deck's end the hand strikes it.
func TestLatches(t *testing.T) {
	part := func(latch string) string {
		return `{"g":{"order":1,"name":"Gate","kind":"ramp-gate","mass":{"value":60,"how":"weighed"},
		"size":{"length":{"value":0.1,"how":"weighed"},"width":{"value":1.2,"how":"weighed"},"height":{"value":1.2,"how":"weighed"}},
		"latch":` + latch + `}}`
	}
	for _, c := range []struct {
		latch, high string
		outcome     finding.Outcome
		figure      float64
	}{
		{`{"handle":0.2}`, `0.7`, finding.Holds, math.Sqrt(0.29) - 0.26},
		{`{"handle":0.2}`, `1.2`, finding.Fails, 0.2 - 0.26},
		{`{"handle":0.12}`, `1.2`, finding.Tight, 0.2 - 0.18},
		{`{"handle":0.2,"count":2}`, `1.2`, finding.Tight, math.Sqrt(0.04+0.04) - 0.26},
		{`{"handle":0.2,"up":0.3}`, `0.7`, finding.Fails, 0.2 - 0.26},
		{`{"handle":0.2,"opens":"front"}`, `1.2`, finding.Fails, 0.1 - 0.26},
	} {
		p := sample.Plan(t, "/trailers/t/deckHeight", `{"value":0.5,"how":"weighed"}`,
			"/parts", part(c.latch), "/trailers/t/fitted", `{"g":{"at":{"back":2.5}}}`,
			sample.Crate+"/at/back", `1.4`, "/loads/crate/size/height/value", c.high)
		f := sample.Find(t, hands.Check(rig.Resolve(p, "t", "o")), hands.CodeLatch)
		if f.Outcome != c.outcome || f.Figure == nil || math.Abs(f.Figure.Value-c.figure) > 1e-9 {
			t.Errorf("%s under %s m: %s %+v, want %s %v", c.latch, c.high, f.Outcome, f.Figure, c.outcome, c.figure)
		}
	}
}
