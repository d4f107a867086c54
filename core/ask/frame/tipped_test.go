package frame_test

import (
	"math"
	"testing"

	"zygonos/core/ask/frame"
)

// A bed that starts to rise presses on ball and wheels as bed and load do where they stand: the supports bear the
// level rig's weights and the bed's 80 kg, the ball its share of them. At the stop the sum is the same, and what has gone to
// the rear is off the ball. Raised by cylinder and by mast alike.
func TestTipped(t *testing.T) {
	for name, gear := range map[string]string{
		"cylinder": `"by":"cylinder","pick":{"back":1.0,"up":-0.05},"foot":{"back":0.45,"up":-0.3},"top":{"back":0,"up":0}`,
		"mast":     `"by":"mast","pick":{"back":0.05,"up":0},"foot":{"back":0.02,"up":-0.1},"top":{"back":0.4,"up":2.4}`,
	} {
		more := []string{
			"/loads/h", `{"order":9,"name":"Gravel","kind":"heap","size":{},"centre":{},"bulk":{"material":"gravel","by":"volume","volume":{"value":0.1,"plusMinus":0,"how":"weighed"}}}`,
			"/outings/o/layouts/t/placements/h", `{"on":"deck","at":{"back":0}}`, "/trailers/t/tipping", `{` + gear + `,"hinge":{"back":2.1,"up":-0.1},"drum":{"back":0,"up":0},"knee":{"back":0,"up":0},
			"mass":{"value":80,"plusMinus":0,"how":"weighed"},"stop":0.7}`,
		}
		r := resolve(t, doc(usual), more...)
		level, start, stop := frame.Reactions(r), frame.ReactionsOf(r, "tip-start"), frame.ReactionsOf(r, "tip-stop")
		sum := func(v []float64) (s float64) {
			for _, x := range v {
				s += x
			}
			return s
		}
		for id, v := range map[string][]float64{"start": start, "stop": stop} {
			if math.Abs(sum(v)-sum(level)-80) > 1e-6*sum(level) {
				t.Errorf("%s at its %s: bears %v, level %v", name, id, sum(v), sum(level))
			}
		}
		b := r.Tip()
		l := r.Axle.Nominal
		want := level[0] + 80*(l-r.DeckFront.Nominal-1.25)/l
		if math.Abs(start[0]-want) > 1e-6*sum(level) {
			t.Errorf("%s at its start: ball %v, want %v", name, start[0], want)
		}
		back := 0.0
		for _, w := range b.Likely {
			dx, dz := w.Centre.X-2.1, w.Centre.Z+0.1
			back += w.Kg * (dx*math.Cos(.7) + dz*math.Sin(.7) - dx)
		}
		if math.Abs(stop[0]-(want-back/l)) > 1e-6*sum(level) {
			t.Errorf("%s at its stop: ball %v, want %v", name, stop[0], want-back/l)
		}
	}
}
