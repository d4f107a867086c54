package rig_test

import (
	"math"
	"testing"

	"zygonos/core/lang/scene"
	"zygonos/core/rig"
)

func handles(t *testing.T, r *rig.Rig, view int, thing string) []scene.Handle {
	t.Helper()
	var out []scene.Handle
	for _, h := range r.Views()[view].Handles {
		if h.Thing == thing {
			out = append(out, h)
		}
	}
	return out
}

// A load is taken along in both views, across from above alone; it snaps to the
// deck's ends and to its neighbours' faces.
func TestHandles(t *testing.T) {
	loads := box("a", "80", `,"centre":{}`) + "," + box("b", "20", `,"centre":{}`) + "," + box("c", "20", `,"centre":{}`)
	r := rig.Resolve(base(t, known, loads, `"placements":{"a":{"on":"deck","at":{"back":0.1}},"b":{"on":"deck","at":{"back":1.3}},"c":{"on":"deck","at":{"back":0.1},"pinned":true}}`, ""), "t", "o")
	side, above := handles(t, r, 0, "/loads/a"), handles(t, r, 1, "/loads/a")
	if len(side) != 1 || len(above) != 2 {
		t.Fatalf("%d handles from the side, %d from above", len(side), len(above))
	}
	h := side[0]
	if h.Path != "/outings/o/layouts/t/placements/a/at/back" || h.Min != 0 || math.Abs(h.Max-1.4) > 1e-9 {
		t.Errorf("got %+v", h)
	}
	near(t, "the neighbour's face", h.Snaps[2], 0.3) // b's front at 1.3 less its own metre
	near(t, "across, to the deck's edge", above[1].Max, 0.4)
	if len(handles(t, r, 1, "/loads/c")) != 0 {
		t.Error("a pinned load can be taken")
	}
}

// The axle is taken from hole to hole where it has holes, else freely.
func TestAxleHandle(t *testing.T) {
	r := rig.Resolve(base(t, known, "", `"placements":{}`, ""), "t", "o")
	h := handles(t, r, 0, "axle")[0]
	if h.Path != "/trailers/t/couplingToAxle/value" || h.Step != 0.01 {
		t.Errorf("free: %+v", h)
	}
	r = rig.Resolve(base(t, known, "", `"placements":{}`, `,"axleMoves":{"min":2.6,"max":3.0,"pitch":0.1}`), "t", "o")
	h = handles(t, r, 0, "axle")[0]
	if h.Path != "/outings/o/layouts/t/axleAt" || len(h.Snaps) != 5 || h.Step != 0.1 || h.Min != 2.6 || h.Max != 3.0 {
		t.Errorf("in holes: %+v", h)
	}
}

// Drawn to scale: the deck, the axle and the load lie where they are.
func TestDrawnToScale(t *testing.T) {
	r := rig.Resolve(base(t, known, box("a", "80", `,"centre":{}`), `"placements":{"a":{"on":"deck","at":{"back":0.5}}}`, ""), "t", "o")
	side := r.Views()[0]
	seen := map[string]scene.Shape{}
	for _, s := range side.Shapes {
		seen[s.Class] = s
	}
	near(t, "deck's front", seen["deck"].Points[0][0], 1.2)
	near(t, "deck's rear", seen["deck"].Points[1][0], 3.6)
	near(t, "wheel", seen["wheel"].Points[0][0], 2.8)
	near(t, "load's front", seen["load"].Points[0][0], 1.7)
	near(t, "load's top", seen["load"].Points[2][1], -0.9)
	for _, s := range side.Shapes {
		for _, p := range s.Points {
			if p[0] < side.Min[0]-1e-9 || p[0] > side.Max[0]+1e-9 || p[1] < side.Min[1]-1e-9 || p[1] > side.Max[1]+1e-9 {
				t.Errorf("%s at %v lies outside the view %v to %v", s.Class, p, side.Min, side.Max)
			}
		}
	}
	if w := seen["wheel"]; w.Radius != 0.3 || w.Points[0][1] != -0.3 {
		t.Errorf("the wheel does not stand on the ground: %+v", w)
	}
}
