package frame_test

import (
	"math"
	"testing"

	"zygonos/core/ask/frame"
	"zygonos/core/rig"
)

// Two boxes on the same rig, one before the axle and one behind it, each 150 ± 100 kg. The drawbar bears most
// with the front one at 250 and the rear one at 50: no less than that very rig says, and hardly more. Both at
// their most says too little.
func TestMixed(t *testing.T) {
	at := func(front, rear, doubt string) *rig.Rig {
		box := func(mass string) string {
			return `{"order":3,"name":"Box","mass":{"value":` + mass + `,"plusMinus":` + doubt + `,"how":"weighed"},
				"size":{"length":{"value":0.4,"how":"weighed"},"width":{"value":0.4,"how":"weighed"},"height":{"value":0.3,"how":"weighed"}},"centre":{}}`
		}
		return resolve(t, doc(usual), "/loads/crate/mass/value", "20", "/loads/a", box(front), "/loads/b", box(rear),
			"/outings/o/layouts/t/placements/a", `{"on":"deck","at":{"back":0.05}}`,
			"/outings/o/layouts/t/placements/b", `{"on":"deck","at":{"back":2.05}}`)
	}
	use := func(r *rig.Rig) float64 {
		for _, m := range frame.Whole(r).Members {
			if m.Name == "drawbar" {
				return m.Use.Value
			}
		}
		return math.NaN()
	}
	mixed, both, exact := use(at("150", "150", "100")), use(at("250", "250", "0")), use(at("250", "50", "0"))
	if !(both < exact*0.95) {
		t.Fatalf("both at their most %v, front heavy %v", both, exact)
	}
	if mixed < exact-1e-9 || mixed > exact*1.1 {
		t.Errorf("mixed %v, the rig itself %v", mixed, exact)
	}
}

// A crate of which the centre is known to ± 0.3 m along: the drawbar is used as much as with the crate so far
// forward, hardly more.
func TestShifted(t *testing.T) {
	use := func(back, along string) float64 {
		r := resolve(t, doc(usual), "/loads/crate/centre", `{"back":{"value":`+back+`,"plusMinus":`+along+`,"how":"guessed"},
			"right":{"value":0,"plusMinus":0,"how":"guessed"}}`)
		for _, m := range frame.Whole(r).Members {
			if m.Name == "drawbar" {
				return m.Use.Value
			}
		}
		return math.NaN()
	}
	got, want, plain := use("0.5", "0.3"), use("0.2", "0"), use("0.5", "0")
	if !(plain < want*0.97) {
		t.Fatalf("%v in the middle, %v as far as may be", plain, want)
	}
	if got < want*(1-2e-3) || got > want*1.1 {
		t.Errorf("%v, the rig itself %v", got, want)
	}
}

// How far loads may lie to the side does not hang on the track: a frame with its springs' places stated is used as much
// where nobody has taped the track, but for where the wheels then stand beside the springs.
func TestShiftedWithoutTrack(t *testing.T) {
	use := func(doubt string, sets ...string) (out []float64) {
		sets = append(sets, "/trailers/t/frame/springsApart", "1.1",
			"/loads/crate/centre", `{"right":{"value":0,"plusMinus":`+doubt+`,"how":"guessed"}}`)
		for _, m := range frame.Whole(resolve(t, doc(usual), sets...)).Members {
			out = append(out, m.Use.Value)
		}
		return out
	}
	told, sure, untold := use("0.3"), use("0"), use("0.3", "/trailers/t/track", "-")
	more := false
	for i := range told {
		more = more || told[i] > sure[i]*1.01
		if math.Abs(told[i]-untold[i]) > 0.03*told[i] {
			t.Errorf("member %d: %v with the track, %v without", i, told[i], untold[i])
		}
	}
	if !more {
		t.Error("the doubt to the side moves nothing")
	}
}
