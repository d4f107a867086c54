package ramp_test

import (
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
		"not told":          {nil, "tight", "what hangs behind its wheels as low as its belly would strike by 26 mm", at + "/tail"},
		"told, as low":      {[]string{at + "/tail", `0.12`}, "fails", "It hangs by 26 mm", ""},
		"told, high":        {[]string{at + "/tail", `0.3`}, "holds", "under it at least", ""},
		"nose told alone":   {[]string{at + "/nose", `0.12`}, "tight", "what hangs behind its wheels", at + "/tail"},
		"up tail first":     {[]string{sample.Crate + "/turn", `180`}, "tight", "what hangs before its wheels as low as its belly would strike", at + "/tail"},
		"the belly strikes": {[]string{at + "/clearance/value", `0.02`}, "fails", "But what hangs behind its wheels as low as its belly would strike by", at + "/tail"},
	} {
		f := clearing(t, append(append([]string{}, low...), c.sets...)...)
		says := f.Says.Text(sample.Plan(t).Locale())
		if string(f.Outcome) != c.outcome || !strings.Contains(says, c.says) {
			t.Errorf("%s: %s: %s", name, f.Outcome, says)
		}
		if c.need != "" && (len(f.Needs) != 1 || f.Needs[0].Path != c.need) {
			t.Errorf("%s: %+v", name, f.Needs)
		}
		if c.need == "" && len(f.Needs) > 0 {
			t.Errorf("%s asks for %+v", name, f.Needs)
		}
	}
}

// Over random machines: with ends as low as the belly nothing holds more than with ends not told, and what fails untold fails
// with ends out of the way too.
func TestEndsNotTold(t *testing.T) {
	rng := rand.New(rand.NewSource(5))
	seen := map[finding.Outcome]int{}
	for range 300 {
		at := "/loads/crate/rolling"
		belly := ftoa(0.03 + 0.25*rng.Float64())
		sets := []string{
			at + "/frontAxle/value", ftoa(0.6 * rng.Float64()), at + "/clearance/value", belly,
			"/parts/ramps/ramp/length", ftoa(1.2 + 2*rng.Float64()),
		}
		if rng.Intn(2) == 0 {
			sets = append(sets, sample.Crate+"/turn", `180`)
		}
		none := clearing(t, sets...)
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
