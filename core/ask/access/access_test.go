package access_test

import (
	"math"
	"testing"

	"zygonos/core/ask/access"
	"zygonos/core/internal/sample"
	"zygonos/core/lang/finding"
	"zygonos/core/lang/quantity"
	"zygonos/core/rig"
)

// Wheels of 0.6 m with tyres 155 wide, springs of 50 mm of travel: under a guard of 0.37 m over the hub 0.37 − 0.3
// − 0.05 = 20 mm are left; its skirt of 100 lets the wheel out with 0.07 + 0.04 − 0.1 = 10 mm. One of 100 kg who
// steps on the edge of 250 mm bends a bracket by 100·1.5·9.80665·0.25 = 367.7 N·m: on a tube 40 × 40 × 3 (W 4.66
// cm³) 78.9 MPa of 156.7, on a flat of 40 × 5 (1.33 cm³) 276.
func TestAccess(t *testing.T) {
	tube, flat := `{"shape":"tube","height":0.04,"width":0.04,"wall":0.003,"material":"s235"}`, `{"shape":"bar","height":0.04,"width":0.005,"material":"s235"}`
	for _, c := range []struct {
		access string
		code   string
		want   finding.Outcome
		figure float64
	}{
		{`{"guardRadius":0.37,"guardWide":0.2}`, access.CodeGuard, finding.Holds, 0.02},
		{`{"guardRadius":0.355}`, access.CodeGuard, finding.Tight, 0.005},
		{`{"guardRadius":0.34}`, access.CodeGuard, finding.Fails, -0.01},
		{`{"guardRadius":0.37,"guardWide":0.14}`, access.CodeGuard, finding.Fails, 0.02},
		{`{"guardRadius":0.37,"guardSkirt":0.1}`, access.CodeWheel, finding.Holds, 0.01},
		{`{"guardRadius":0.37,"guardSkirt":0.2}`, access.CodeWheel, finding.Tight, -0.09},
		{`{"stood":true}`, access.CodeStood, finding.Unknown, 0},
		{`{"stood":true,"guardWide":0.25}`, access.CodeStood, finding.Unknown, 0},
		{`{"stood":true,"guardWide":0.25,"brackets":2,"bracket":` + tube + `}`, access.CodeStood, finding.Holds, 78.9e6},
		{`{"stood":true,"guardWide":0.25,"brackets":2,"bracket":` + flat + `}`, access.CodeStood, finding.Fails, 275.8e6},
		{`{"stepUp":0.35,"handhold":true}`, access.CodeStep, finding.Tight, 0.45}, // 0.8 − 0.35 in one rise
		{`{"stepUp":0.4,"handhold":true}`, access.CodeStep, finding.Holds, 0.4},
		{`{"stepUp":0.4}`, access.CodeStep, finding.Tight, 0.4},
		{`{"stepUp":0.6,"handhold":true}`, access.CodeStep, finding.Tight, 0.6},
		{`{"stepUp":0.2,"stepApart":0.3,"handhold":true}`, access.CodeStep, finding.Holds, 0.3},
	} {
		r := rig.Resolve(sample.Plan(t, "/trailers/t/access", c.access, "/trailers/t/wheelDiameter", "0.6", "/trailers/t/travel", "0.05",
			"/trailers/t/tyreText", `"155/70 R13 84N"`, "/trailers/t/deckHeight", `{"value":0.8,"how":"weighed"}`), "t", "o")
		f := sample.Find(t, access.Check(r), c.code)
		if f.Outcome != c.want || c.want != finding.Unknown && math.Abs(f.Figure.Value-c.figure) > 1e-6+0.003*math.Abs(c.figure) {
			t.Errorf("%s %s: %s %+v, want %s %v", c.code, c.access, f.Outcome, f.Figure, c.want, c.figure)
		}
		if c.want == finding.Unknown && len(f.Needs) == 0 {
			t.Errorf("%s asks for nothing", c.access)
		}
	}
}

// A travel that nobody entered never holds plainly.
func TestTravelNotTold(t *testing.T) {
	r := rig.Resolve(sample.Plan(t, "/trailers/t/access", `{"guardRadius":0.5}`, "/trailers/t/suspension", `"leaf"`), "t", "o")
	if f := sample.Find(t, access.Check(r), access.CodeGuard); f.Outcome != finding.Tight || f.Tight != finding.GuessTooRough {
		t.Errorf("%s", f.Outcome)
	}
}

// A spare of 15 kg half a metre behind the ball brings 15·(2.5 − 0.5 − 0.275)/2.5 … to the ball; a heavy one is a
// lift for two.
func TestSpare(t *testing.T) {
	with := func(mass string) finding.Finding {
		r := rig.Resolve(sample.Plan(t, "/parts/s", `{"order":1,"name":"Spare","kind":"spare","mass":{"value":`+mass+`,"plusMinus":0,"how":"weighed"},
			"size":{"length":{"value":0.55,"how":"weighed"},"width":{"value":0.2,"how":"weighed"},"height":{"value":0.55,"how":"weighed"}},"centre":{}}`,
			"/trailers/t/fitted", `{"s":{"at":{"back":-0.6}}}`), "t", "o")
		return sample.Find(t, access.Check(r), access.CodeSpare)
	}
	if f := with("15"); f.Outcome != finding.Holds {
		t.Errorf("%s %s", f.Outcome, f.Says.Text(quantity.Locale{}))
	}
	if f := with("32"); f.Outcome != finding.Tight {
		t.Errorf("%s", f.Outcome)
	}
}

// Tyres of 155 on a track of 1.6 m stand out 0.8 + 0.0775 − 0.7 = 177.5 mm beside a deck of 1.4; mudguards of 220 mm
// 210 mm.
func TestSticks(t *testing.T) {
	for _, c := range []struct {
		access, track string
		want          finding.Outcome
		figure        float64
	}{
		{`{"handhold":true}`, "1.6", finding.Tight, 0.1775},
		{`{"guardWide":0.22}`, "1.6", finding.Tight, 0.21},
		{`{"bumpers":true}`, "1.6", finding.Holds, 0.1775},
		{`{"handhold":true}`, "1.2", "", 0},
	} {
		r := rig.Resolve(sample.Plan(t, "/trailers/t/access", c.access, "/trailers/t/tyreText", `"155/70 R13 84N"`,
			"/trailers/t/track", `{"value":`+c.track+`,"how":"weighed"}`), "t", "o")
		got := finding.Outcome("")
		for _, f := range access.Check(r) {
			if f.Code == access.CodeStick {
				if got = f.Outcome; math.Abs(f.Figure.Value-c.figure) > 1e-9 {
					t.Errorf("%s %s: %v", c.access, c.track, f.Figure.Value)
				}
			}
		}
		if got != c.want {
			t.Errorf("%s %s: %q", c.access, c.track, got)
		}
	}
}

// A side-by-side of 1.2 m in the middle of 1.4 m has 0.1 m on each side: over a side of 0.4 m one steps out; between
// sides of 0.9 m nobody does. On 1.9 m there are 0.35 m each way, so one goes when it is set aside; on 2.1 m 0.45.
func TestCab(t *testing.T) {
	for _, c := range []struct {
		deck, side string
		more       []string
		want       finding.Outcome
	}{
		{"1.4", "0.4", nil, finding.Holds},
		{"1.4", "0.9", nil, finding.Tight},
		{"1.9", "0.9", nil, finding.Tight},
		{"2.1", "0.9", nil, finding.Holds},
		{"2.1", "0.9", []string{"/outings/o/layouts/t/placements/u/turn", "90"}, ""},
	} {
		r := rig.Resolve(sample.Plan(t, append([]string{
			"/loads/u", `{"order":1,"name":"Side-by-side","kind":"utv","mass":{"value":400,"how":"weighed"},"size":{"length":{"value":2.4,"how":"weighed"},
			"width":{"value":1.2,"how":"weighed"},"height":{"value":1.8,"how":"weighed"}},"centre":{}}`,
			"/outings/o/layouts/t/placements", `{"u":{"on":"deck","at":{"back":0}}}`,
			"/trailers/t/deckWidth", `{"value":` + c.deck + `,"how":"weighed"}`, "/trailers/t/sideHeight", c.side,
		}, c.more...)...), "t", "o")
		got := finding.Outcome("")
		for _, f := range access.Check(r) {
			if f.Code == access.CodeCab {
				got = f.Outcome
			}
		}
		if got != c.want {
			t.Errorf("deck %s side %s: %q", c.deck, c.side, got)
		}
	}
}
