package norms_test

import (
	"math"
	"testing"

	"zygonos/core/facts/norms"
)

// Bolts by hand: grip, two washers, nut, two threads, and the next length that is sold.
func TestBoltLength(t *testing.T) {
	for _, c := range []struct{ d, grip, want float64 }{
		{0.010, 0.06, 0.080},         // 60 + 4 + 11.9 + 3 = 78.9
		{0.012, 0.08, 0.110},         // 80 + 5 + 14.9 + 3.5 = 103.4
		{0.008, 0.0057, 0.025},       // 5.7 + 3.2 + 9.5 + 2.5 = 20.9
		{0.0127, 0.0508, 3 * 0.0254}, // 2 in: 50.8 + 5.6 + 15.9 + 3.9 = 76.2 = 3 in
	} {
		th, ok := norms.ThreadOf(c.d)
		if !ok {
			t.Fatalf("no thread of %v", c.d)
		}
		if l, ok := th.BoltLength(c.grip); !ok || math.Abs(l-c.want) > 0.0005 && math.Abs(l-c.want-0.00635) > 0.0005 {
			t.Errorf("%s over %v: %v, want %v", th.Name, c.grip, l, c.want)
		}
	}
	if _, ok := norms.ThreadOf(0.018); ok {
		t.Error("there is no M18 here")
	}
	m16, _ := norms.ThreadOf(0.016)
	if _, ok := m16.BoltLength(0.4); ok {
		t.Error("nobody sells that")
	}
	for i := 1; i < len(norms.Threads); i++ {
		if a, b := norms.Threads[i-1], norms.Threads[i]; a.Diameter > b.Diameter || b.Hole <= b.Diameter || b.Flats <= b.Diameter {
			t.Errorf("%+v", b)
		}
	}
}
