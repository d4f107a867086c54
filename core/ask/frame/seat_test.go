package frame_test

import (
	"strings"
	"testing"

	"zygonos/core/ask/frame"
	"zygonos/core/lang/finding"
	"zygonos/core/lang/quantity"
)

// The sample's ball stands 1 m before the deck, its rails run from 0 to 2.5 m of the deck: saddles of 0.1 m either
// way hang on them between 1.1 and 3.4 m. Its axle stands at 2.5 m.
func TestSeat(t *testing.T) {
	at := func(low, high string) []string {
		return []string{"/trailers/t/axleMoves", `{"min":` + low + `,"max":` + high + `,"pitch":0}`}
	}
	for _, c := range []struct {
		springs, fixed string
		more           []string
		want           finding.Outcome
		says           string
	}{
		{"torsion", "", nil, finding.Unknown, "rubber axle is fixed"},
		{"torsion", "welded", nil, finding.Fails, "heat ruins"},
		{"torsion", "bolted", nil, finding.Holds, "tube welded in"},
		{"torsion", "slots", nil, finding.Unknown, "slots"},
		{"torsion", "slots", at("2.5", "2.7"), finding.Holds, "stop bolt"},
		{"torsion", "slots", at("2.7", "2.9"), finding.Fails, "its slots reach"},
		{"torsion", "slots", at("1.12", "3.38"), finding.Holds, "stop bolt"},
		{"torsion", "slots", at("1.08", "2.7"), finding.Fails, "in the air"},
		{"torsion", "slots", at("2.5", "3.42"), finding.Fails, "in the air"},
		{"leaf", "welded", nil, finding.Holds, "hangers"},
		{"leaf", "welded", at("2.5", "2.7"), finding.Tight, "wrong"},
	} {
		drawn := doc(usual)
		if c.fixed != "" {
			drawn = `{"axleFixed":"` + c.fixed + `",` + strings.TrimPrefix(drawn, "{")
		}
		r := resolve(t, drawn, append([]string{"/trailers/t/suspension", `"` + c.springs + `"`}, c.more...)...)
		f := find(t, r, frame.CodeSeat)
		if says := f.Says.Text(quantity.Locale{}); f.Outcome != c.want || !strings.Contains(says, c.says) {
			t.Errorf("%s %s %v: %s %q", c.springs, c.fixed, c.more, f.Outcome, says)
		}
	}
	for _, f := range frame.Judge(resolve(t, doc(usual), "/trailers/t/suspension", `"leaf"`)) {
		if f.Code == frame.CodeSeat {
			t.Error("leaf springs that nobody said are welded: silent")
		}
	}
}
