package drawbar_test

import (
	"math"
	"strings"
	"testing"

	"zygonos/core/ask/drawbar"
	"zygonos/core/facts/norms"
	"zygonos/core/internal/sample"
	"zygonos/core/plan"
	"zygonos/core/rig"
)

func near(t *testing.T, what string, got, want float64) {
	t.Helper()
	if math.Abs(got-want) > 3e-4*math.Abs(want) {
		t.Errorf("%s: got %.6g, want %.6g", what, got, want)
	}
}

const bar = `{"profile":{"shape":"tube","height":0.06,"width":0.06,"wall":0.003,"material":"s235"},"beams":1`

// Ball 60 kg, at most 61.6 by the crate's place; twice on 1.0 m: 1208.2 N·m over the
// 11.7116 cm³ of EN 10219-2: 103.2 MPa of 156.7. A 50 × 50 × 3 slides into 54 mm with 4 mm
// to spare; 0.5 m longer the ball bears 61.6·2.5/3 = 51.333: at the joint
// 2·51.333·g·0.5 = 503.4 N·m over 7.7869 cm³: 64.6 MPa.
func TestDrawbar(t *testing.T) {
	check := func(json string, more ...string) func(code string) (string, string, float64) {
		r := rig.Resolve(sample.Plan(t, append([]string{"/trailers/t/drawbar", json}, more...)...), "t", "o")
		fs := drawbar.Check(r)
		return func(code string) (string, string, float64) {
			f := sample.Find(t, fs, code)
			v := 0.0
			if f.Figure != nil {
				v = f.Figure.Value
			}
			return string(f.Outcome), f.Says.Text(r.Plan.Locale()), v
		}
	}
	outcome, _, v := check(bar + "}")(drawbar.CodeBend)
	near(t, "bending", v, 2*61.6*9.80665/11.7116e-6)
	if outcome != "holds" {
		t.Errorf("bending %s", outcome)
	}
	long := check(bar + `,"longer":0.5,"way":"sleeve","overlap":0.2,"bolts":4,"bolt":0.012,"grade":"8.8"}`)
	outcome, says, v := long(drawbar.CodeSleeve)
	// P = 1006.8 N; at the bolts 0.165·0.2 m behind the mouth.
	near(t, "at the joint", v, 2*61.6*2.5/3*9.80665*(0.5+0.165*0.2)/7.78685e-6)
	if outcome != "holds" || !strings.Contains(says, "50 × 50 × 3 slides in, with 2 mm shims") || !strings.Contains(says, "Overlap it 180 mm or more") {
		t.Errorf("%s %q", outcome, says)
	}
	// Four bolts M12 8.8, groups 0.134 m apart: 1006.8·(0.6/0.134 + 1/2)/2 = 2506 N each, of 2·0.6·800·0.78·113.10/1.25 = 67.75 kN.
	_, _, v = long(drawbar.CodeBolts)
	near(t, "bolt", v, 2*61.6*2.5/3*9.80665*(0.6/0.134+0.5)/2)
	// Half the overlap, nearly twice the force: a short one is not taken for the one it should be.
	_, _, v = check(bar + `,"longer":0.5,"overlap":0.1,"bolts":4,"bolt":0.012,"grade":"8.8"}`)(drawbar.CodeBolts)
	near(t, "bolt, short overlap", v, 2*61.6*2.5/3*9.80665*(0.55/0.067+0.5)/2)
	for name, c := range map[string]struct{ json, code, want, says string }{
		"too long":    {bar + `,"longer":2}`, drawbar.CodeBend, "fails", "Stiffen"},
		"overlap":     {bar + `,"longer":0.3,"overlap":0.1}`, drawbar.CodeSleeve, "fails", "too short"},
		"no bolts":    {bar + `,"longer":0.3}`, drawbar.CodeBolts, "unknown", "enter how many"},
		"one bolt":    {bar + `,"longer":0.3,"bolts":1,"bolt":0.012,"grade":"8.8"}`, drawbar.CodeBolts, "fails", "hinge"},
		"no grade":    {bar + `,"longer":0.3,"bolts":4,"bolt":0.012}`, drawbar.CodeBolts, "tight", "weakest"},
		"weld":        {bar + `,"longer":0.3,"way":"weld"}`, drawbar.CodeSleeve, "holds", "competent welder"},
		"nothing in":  {`{"profile":{"shape":"tube","height":0.03,"width":0.03,"wall":0.003,"material":"s235"},"longer":0.1}`, drawbar.CodeSleeve, "unknown", "No usual section"},
		"loose":       {`{"profile":{"shape":"tube","height":0.06,"width":0.06,"wall":0.004,"material":"s355"},"longer":0.1}`, drawbar.CodeSleeve, "holds", "1 mm shims"},
		"round":       {`{"profile":{"shape":"round","height":0.0603,"wall":0.0032,"material":"s235"},"longer":0.1}`, drawbar.CodeSleeve, "unknown", "No usual section"},
		"no wall":     {`{"profile":{"shape":"tube","height":0.06,"width":0.06,"material":"s235"}}`, drawbar.CodeBend, "fails", "the wall is zero"},
		"A-frame":     {`{"profile":{"shape":"tube","height":0.05,"width":0.05,"wall":0.003,"material":"s235"},"beams":2}`, drawbar.CodeBend, "holds", "loaded to"},
		"hollow fits": {`{"profile":{"shape":"tube","height":0.08,"width":0.08,"wall":0.004,"material":"s235"},"longer":0.2}`, drawbar.CodeSleeve, "tight", "sits loose"},
	} {
		outcome, says, _ := check(c.json)(c.code)
		if outcome != c.want || !strings.Contains(says, c.says) {
			t.Errorf("%s: %s %q", name, outcome, says)
		}
	}
	if fs := drawbar.Check(rig.Resolve(sample.Plan(t), "t", "o")); fs != nil {
		t.Errorf("nothing told, and %d findings", len(fs))
	}
}

func TestInner(t *testing.T) {
	in, high, wide, ok := drawbar.Inner(plan.Profile{Shape: "tube", Height: 0.06, Width: 0.06, Wall: 0.003})
	if !ok || in.Name != "50 × 50 × 3" {
		t.Fatalf("%+v", in)
	}
	near(t, "gap", high, 0.004)
	near(t, "gap", wide, 0.004)
}

// M12 8.8 in one plane: 0.6·800·0.78·113.097/1.25 = 33.874 kN; 10.9 takes 0.5.
func TestShear(t *testing.T) {
	b, _ := norms.BoltOf("8.8")
	near(t, "8.8", b.ShearOf(0.012), 33874)
	b, _ = norms.BoltOf("10.9")
	near(t, "10.9", b.ShearOf(0.012), 0.5*1000e6*0.78*113.0973e-6/1.25)
}
