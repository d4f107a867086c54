package wiring_test

import (
	"strings"
	"testing"

	"zygonos/core/ask/wiring"
	"zygonos/core/lang/quantity"
	"zygonos/core/lang/scene"
)

// Every plug's face has each of its contacts once, with its number; those that carry a current are marked; a flat one's stand in
// a row and say from which side.
func TestFace(t *testing.T) {
	for plug, n := range map[string]int{"flat-4": 4, "pin-7": 7, "pin-13": 13} {
		r := with(t, plug, usualLamps(false))
		off, on := wiring.Show(r, nil), wiring.Show(r, []wiring.Switch{wiring.Switches[0]})
		count := func(l *wiring.Lit, class string) (k int) {
			for _, s := range l.Face.View.Shapes {
				if s.Form == scene.Circle && strings.Contains(s.Class, class) {
					k++
				}
			}
			return k
		}
		if count(off, "contact") != n || count(off, "contact-on") != 0 || count(on, "contact-on") < 2 {
			t.Errorf("%s: %d contacts, %d on", plug, count(off, "contact"), count(on, "contact-on"))
		}
		if says := off.Face.Says.Text(quantity.Locale{}); strings.Contains(says, "row") != strings.HasPrefix(plug, "flat") {
			t.Errorf("%s: %q", plug, says)
		}
	}
}
