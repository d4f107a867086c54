package plausible_test

import (
	"strings"
	"testing"

	"zygonos/core/ask/plausible"
	"zygonos/core/internal/sample"
	"zygonos/core/plan"
)

// Each slip is asked about once, with the likely correction, and applying it
// leaves nothing to ask.
func TestSlips(t *testing.T) {
	for _, c := range []struct {
		name      string
		sets      []string
		code, say string
		settles   bool
	}{
		{"canoe in pounds", []string{"/loads/crate/kind", `"canoe"`, "/loads/crate/mass/value", `75`, "/loads/crate/size", `{}`}, "plausible.pounds", "is it pounds? That is 34 kg", true},
		{"skiff, a nought too many", []string{"/loads/crate/kind", `"skiff"`, "/loads/crate/mass/value", `850`, "/loads/crate/size", `{}`}, "plausible.ten-up", "Then it is 85 kg", true},
		{"skiff, a nought missing", []string{"/loads/crate/kind", `"skiff"`, "/loads/crate/mass/value", `8`, "/loads/crate/size", `{}`}, "plausible.ten-down", "Then it is 80 kg", true},
		{"quad, unusual", []string{"/loads/crate/kind", `"quad"`, "/loads/crate/mass/value", `1500`, "/loads/crate/size", `{}`}, "plausible.unusual", "usual is 180 kg to 420 kg", false},
		{"denser than steel", []string{"/loads/crate/mass/value", `5000`}, "plausible.dense", "denser than steel", false},
		{"lighter than foam", []string{"/loads/crate/mass/value", `1`}, "plausible.light", "lighter than foam", false},
		{"centimetres for millimetres", []string{"/trailers/t/couplingToAxle/value", `0.28`}, "plausible.length", "centimetres for millimetres? Then it is 2800 mm", true},
		{"a nought too many on the track", []string{"/trailers/t/track/value", `16`}, "plausible.length", "one zero too many? Then it is 1600 mm", true},
		{"payload typed for gross", []string{"/trailers/t/label/value", `240`, "/trailers/t/empty/mass", `{"value":250,"how":"plate"}`}, "plausible.payload-for-gross", "Is it the load alone?", true},
		{"gross typed for payload", []string{"/trailers/t/label", `{"value":750,"counts":"payload"}`, "/trailers/t/empty/mass", `{"value":250,"how":"plate"}`}, "plausible.gross-for-payload", "Does the label count the trailer itself?", true},
		{"contents heavier than the whole", []string{"/loads/crate/massCounts", `"whole"`, "/loads/crate/contents", `{"a":{"order":1,"name":"Anvils","mass":{"value":450,"how":"weighed"},"at":{"back":0.5}}}`}, "plausible.contents", "the whole only 400 kg", true},
		{"the same battery twice", []string{"/loads/crate/contents", `{"a":{"order":1,"name":"Battery","mass":{"value":25,"how":"weighed"},"at":{"back":0.2}},"b":{"order":2,"name":"Battery","mass":{"value":25,"how":"weighed"},"at":{"back":0.4}}}`}, "plausible.twice", "listed twice in Crate", true},
		{"a strap's breaking strength", []string{"/straps", `{"s":{"order":1,"name":"Ratchet","kind":"ratchet","width":0.025,"limit":1500,"count":2}}`},
			"plausible.strap", "is 1500 kg its breaking strength?", true},
		{"weighed loaded", []string{"/trailers/t/empty/mass", `{"value":400,"how":"plate"}`}, "plausible.sum", "Which was weighed loaded?", false},
	} {
		p := sample.Plan(t, c.sets...)
		asked := plausible.Ask(p)
		if len(asked) != 1 || asked[0].Code != c.code {
			t.Errorf("%s: asked %+v", c.name, asked)
			continue
		}
		text := asked[0].Says.Text(p.Locale())
		if !strings.Contains(text, c.say) || !strings.HasSuffix(strings.TrimSuffix(text, "."), "?") && !strings.Contains(text, "?") {
			t.Errorf("%s: says %q", c.name, text)
		}
		if (asked[0].Fix != nil) != c.settles {
			t.Errorf("%s: a correction is offered: %v", c.name, asked[0].Fix != nil)
			continue
		}
		if c.settles {
			fixed, err := plan.Apply(p, asked[0].Fix.Patch)
			if err != nil {
				t.Errorf("%s: %v", c.name, err)
			} else if left := plausible.Ask(fixed); len(left) != 0 {
				t.Errorf("%s: corrected, it still asks %q", c.name, left[0].Says.Text(p.Locale()))
			}
		}
	}
}

func TestNothingToAsk(t *testing.T) {
	if asked := plausible.Ask(sample.Plan(t)); len(asked) != 0 {
		t.Errorf("asked %+v", asked)
	}
}
