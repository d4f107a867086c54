package frame_test

import (
	"math"
	"strings"
	"testing"

	"zygonos/core/ask/frame"
	"zygonos/core/lang/finding"
	"zygonos/core/lang/quantity"
)

// Wheels of 0.6 m, rails of 80 with their underside 0.1 over the axle: 0.3 + 0.1 + 0.08 = 0.48; dropped
// by 0.08 it is 0.4. The sample's deck is entered at 0.55.
func TestHeight(t *testing.T) {
	for _, c := range []struct {
		fields, deck string
		want         float64
		outcome      finding.Outcome
		says         string
	}{
		{`"axleSeat":0.1,`, "0.48", 0.48, finding.Holds, "below the tops of the tyres"},
		{`"axleSeat":0.1,"axleDrop":0.08,`, "0.4", 0.40, finding.Holds, "below the tops of the tyres"},
		{`"axleSeat":0.25,`, "0.63", 0.63, finding.Holds, "above the tyres"},
		{`"axleSeat":0.1,`, "0.55", 0.48, finding.Tight, "is entered"},
	} {
		r := resolve(t, `{`+c.fields+strings.TrimPrefix(doc(usual), "{"), "/trailers/t/wheelDiameter", "0.6",
			"/trailers/t/deckHeight/value", c.deck)
		f := find(t, r, frame.CodeHeight)
		if f.Outcome != c.outcome || math.Abs(f.Figure.Value-c.want) > 1e-9 ||
			!strings.Contains(f.Says.Text(quantity.Locale{}), c.says) {
			t.Errorf("%s: %s %v %s", c.fields, f.Outcome, f.Figure.Value, f.Says.Text(quantity.Locale{}))
		}
	}
}
