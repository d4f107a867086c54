package ramp_test

import (
	"fmt"
	"math/rand"
	"strings"
	"testing"

	"zygonos/core/ask/ramp"
	"zygonos/core/internal/sample"
	"zygonos/core/lang/finding"
	"zygonos/core/plan"
	"zygonos/core/rig"
)

// mower is the machine as a zero-turn mower on four wheels of 560 mm, of which nothing is taped but what is told.
func mower(told string, more ...string) []string {
	return append([]string{"/loads/crate/kind", `"zero-turn"`, "/loads/crate/rolling", `{"wheel":0.56` + told + `}`}, more...)
}

// Usual of a zero-turn mower: c 80 mm under it, 1.25 m between its wheels, here of r = 280 mm. Astride the crest of ramps
// up 0.5 m, at θ = asin(0.5/l), its wheels' middles stand on lines that meet r/cos θ/2 over the crest and half the
// wheelbase times tan θ/2 over the line between them: c + r·(1/cos θ/2 − 1) − b/2·tan θ/2 is left. For 1.8 m 80 + 2.8 −
// 88.6 = −5.8 mm, with 120 mm under it 34; for a wheelbase shorter by 15 % 7.5. For 1.2 m −49.6, with both 120 + 6.6 −
// 115.9 = 10.7. For 1.0 m −77.6, with both still −12.
func TestFailsOnUsualFigures(t *testing.T) {
	taped := `,"clearance":{"value":0.08,"how":"weighed"}`
	for name, c := range map[string]struct {
		told, long, outcome, says string
		needs                     int // at least
	}{
		"usual":           {"", `1.8`, "tight", "Roughly: It hangs by 5.8 mm", 1},
		"how it says so":  {"", `1.8`, "tight", "At a ground clearance of 120 mm, as it may be, it would not: set its mower deck as high as it goes and tape it.", 1},
		"taped":           {taped, `1.8`, "tight", "At a wheelbase of 1063 mm, as it may be", 1},
		"all taped":       {taped + `,"wheelbase":{"value":1.25,"how":"weighed"},"frontAxle":{"value":0.3,"how":"weighed"}`, `1.8`, "fails", "It hangs by 5.8 mm", 0},
		"taped, far off":  {taped, `1.2`, "fails", "It hangs by 50 mm", 0},
		"two usual":       {"", `1.2`, "tight", "With other figures of its own", 2},
		"whatever it has": {"", `1`, "fails", "It hangs by 78 mm", 0},
	} {
		f := clearing(t, mower(c.told, "/parts/ramps/ramp/length", c.long)...)
		says := f.Says.Text(sample.Plan(t).Locale())
		if string(f.Outcome) != c.outcome || !strings.Contains(says, c.says) || f.Outcome == finding.Tight && len(f.Needs) < c.needs {
			t.Errorf("%s: %s, %+v: %s", name, f.Outcome, f.Needs, says)
		}
	}
}

// What fails on usual figures fails on any that are usual: ten mowers within them at a time.
func TestFailsOnAnyUsual(t *testing.T) {
	rng := rand.New(rand.NewSource(11))
	failed := 0
	for range 60 {
		more := []string{"/parts/ramps/ramp/length", ftoa(0.8 + 1.2*rng.Float64()), sample.Crate + "/at/back", ftoa(0.1 + 0.6*rng.Float64())}
		told := ""
		if rng.Intn(2) == 0 {
			told = fmt.Sprintf(`,"nose":%s,"tail":%s`, ftoa(0.05+0.3*rng.Float64()), ftoa(0.05+0.3*rng.Float64()))
		}
		p := onRamps(t, mower(told, more...)...)
		for _, f := range ramp.Check(rig.Resolve(p, "t", "o")) {
			if f.Outcome != finding.Fails {
				continue
			}
			failed++
			for range 10 {
				q := p.Clone()
				for _, g := range rig.UsualRolling(q, func(string) bool { return true }) {
					g.Set(g.Range.Low + rng.Float64()*g.Range.Width())
				}
				if o := outcome(q, f.Code); o != finding.Fails && o != "" {
					t.Errorf("%v %s: %s fails, and with other usual figures %s", more, told, f.Code, o)
					break
				}
			}
		}
	}
	if failed < 10 {
		t.Errorf("only %d fail", failed)
	}
}

func outcome(p *plan.Plan, code string) finding.Outcome {
	for _, f := range ramp.Check(rig.Resolve(p, "t", "o")) {
		if f.Code == code {
			return f.Outcome
		}
	}
	return ""
}
