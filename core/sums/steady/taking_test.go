package steady_test

import (
	"math"
	"testing"

	"zygonos/core/sums/steady"
)

// Three things laid on one after another, lifted off between, are three values; one that lies on for a
// minute is one. What is only made lighter by a third is still the same thing, and an empty plate that shows
// a kilogram is nothing.
func TestTaking(t *testing.T) {
	for _, c := range []struct {
		name string
		laid []float64 // kg, five seconds each
		want []float64
	}{
		{"one after another", []float64{0, 48, 0, 310, 0, 305}, []float64{48, 310, 305}},
		{"a minute", []float64{48, 48, 48, 48, 48, 48, 48, 48, 48, 48, 48, 48}, []float64{48}},
		{"a third lighter", []float64{90, 60, 0, 60}, []float64{90, 60}},
		{"the plate does not come back to nought", []float64{300, 1.4, 310, -1.2, 2.6}, []float64{300, 310, 2.6}},
		{"nothing on it", []float64{0, 1.2, -30, 0.4}, nil},
	} {
		var s steady.Taking
		var got []float64
		for n := range 50 * len(c.laid) {
			swing := 0.02 * math.Sin(float64(n)*2.3)
			if _, taken := s.Add(float64(n)/10, c.laid[n/50]+swing); taken != nil {
				got = append(got, taken.Value)
				if taken.Doubt < 0.1 {
					t.Errorf("%s: ± %v", c.name, taken.Doubt)
				}
			}
		}
		if len(got) != len(c.want) {
			t.Errorf("%s: %v, want %v", c.name, got, c.want)
			continue
		}
		for i := range got {
			if math.Abs(got[i]-c.want[i]) > 0.1 {
				t.Errorf("%s: %v, want %v", c.name, got, c.want)
			}
		}
	}
	if v := (steady.State{Steady: true, Value: 61.04999, Doubt: 0.04}).Rounded(); v.Value != 61 || v.Doubt != 0.1 {
		t.Errorf("%+v", v)
	}
}
