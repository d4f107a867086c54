package ramp_test

import (
	"encoding/json"
	"math"
	"math/rand"
	"strings"
	"testing"

	"zygonos/core/ask/ramp"
	"zygonos/core/internal/sample"
	"zygonos/core/lang/finding"
)

// clearing is the check of what is left under the machine.
func clearing(t *testing.T, sets ...string) *finding.Finding {
	t.Helper()
	for _, f := range ramp.Check(resolved(t, sets...)) {
		if f.Code == ramp.CodeClear {
			return &f
		}
	}
	t.Fatal("no such check")
	return nil
}

// A machine of 1.9 m, its wheels of 560 mm 0.1 and 1.3 m behind its front, 120 mm under its belly, on ramps of 2 m up 0.5 m:
// θ 14.48°. Its rear wheels touch ground and ramp at once with the foot r·tan θ/2 = 36 mm behind where they stand, and in the
// machine's frame the ground rises from there by tan θ: (600 − 36)·0.258 = 146 mm at its tail, 26 mm into what is as low as
// the belly. The belly strikes nothing: half its wheelbase times tan θ/2 is 76 mm.
func TestTailNotTold(t *testing.T) {
	at := "/loads/crate/rolling"
	low := []string{at + "/frontAxle/value", `0.1`, at + "/clearance/value", `0.12`}
	for name, c := range map[string]struct {
		sets          []string
		outcome, says string
		need          string
	}{
		"not told":          {nil, "tight", "If what hangs behind its rear wheels is as low as its belly, it strikes by 26 mm", at + "/tail"},
		"told, as low":      {[]string{at + "/tail", `0.12`}, "fails", "It grounds by 26 mm", ""},
		"told, high":        {[]string{at + "/tail", `0.3`}, "holds", "is left under it", ""},
		"nose told alone":   {[]string{at + "/nose", `0.12`}, "tight", "If what hangs behind its rear wheels", at + "/tail"},
		"up tail first":     {[]string{sample.Crate + "/turn", `180`}, "tight", "If what hangs behind its rear wheels is as low as its belly, it strikes", at + "/tail"},
		"the belly strikes": {[]string{at + "/clearance/value", `0.02`}, "fails", "If what hangs behind its rear wheels is as low as its belly, it strikes by", at + "/tail"},
	} {
		f := clearing(t, append(append([]string{}, low...), c.sets...)...)
		says := f.Says.Text(sample.Plan(t).Locale())
		if string(f.Outcome) != c.outcome || !strings.Contains(says, c.says) {
			t.Errorf("%s: %s: %s", name, f.Outcome, says)
		}
		if c.need != "" && (len(f.Needs) != 1 || f.Needs[0].Path != c.need) {
			t.Errorf("%s: %+v", name, f.Needs)
		}
		d := ramp.DriveOf(resolved(t, append(append([]string{}, low...), c.sets...)...))
		if got := d.Clear.Values[d.Clear.Worst]; math.Abs(got-f.Figure.Value) > 2e-3 {
			t.Errorf("%s: drawn with %.4f under it, judged with %.4f", name, got, f.Figure.Value)
		}
		if _, err := json.Marshal(d); err != nil {
			t.Error(name, err)
		}
		if c.need == "" && len(f.Needs) > 0 {
			t.Errorf("%s asks for %+v", name, f.Needs)
		}
	}
}

// Over random machines: with ends as low as the belly it holds as with ends not stated; what fails unstated fails with ends out
// of the way too; and a machine that goes up tail first comes out as one whose ends are changed round.
func TestEndsNotTold(t *testing.T) {
	rng := rand.New(rand.NewSource(5))
	seen := map[finding.Outcome]int{}
	for range 300 {
		at := "/loads/crate/rolling"
		belly, before := ftoa(0.03+0.25*rng.Float64()), 0.6*rng.Float64()
		rest := []string{at + "/clearance/value", belly, "/parts/ramps/ramp/length", ftoa(1.2 + 2*rng.Float64())}
		sets := append([]string{at + "/frontAxle/value", ftoa(before)}, rest...)
		round := append([]string{at + "/frontAxle/value", ftoa(1.9 - 1.2 - before), sample.Crate + "/turn", `180`}, rest...)
		none := clearing(t, sets...)
		if f := clearing(t, round...); f.Outcome != none.Outcome || math.Abs(f.Figure.Value-none.Figure.Value) > 1e-6 {
			t.Errorf("%v: %s, %v; changed round %s, %v", sets, none.Outcome, none.Figure.Value, f.Outcome, f.Figure.Value)
		}
		low := clearing(t, append(append([]string{}, sets...), at+"/nose", belly, at+"/tail", belly)...)
		high := clearing(t, append(append([]string{}, sets...), at+"/nose", `2`, at+"/tail", `2`)...)
		seen[none.Outcome]++
		if (none.Outcome == finding.Holds) != (low.Outcome == finding.Holds) {
			t.Errorf("%v: %s untold, %s with low ends", sets, none.Outcome, low.Outcome)
		}
		if (none.Outcome == finding.Fails) != (high.Outcome == finding.Fails) {
			t.Errorf("%v: %s untold, %s with high ends", sets, none.Outcome, high.Outcome)
		}
	}
	if len(seen) < 3 {
		t.Errorf("%v", seen)
	}
}
