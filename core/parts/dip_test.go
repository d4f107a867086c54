package parts_test

import (
	"math"
	"testing"

	"zygonos/core/parts"
	"zygonos/core/plan"
)

// dips gives a frame's closed members by key.
func dips(f *plan.Frame) map[string]parts.Volume {
	bars := parts.FrameBars(f)
	out := map[string]parts.Volume{}
	for _, v := range parts.Volumes(bars, parts.FrameEnds(bars, parts.FrameTouches(bars))) {
		out[bars[v.Bar].ID] = v
	}
	return out
}

// The ladder's cross members end against the rails: shut at both ends. Its rails and drawbar are open. Capped
// they are shut; vented by what Vents gives, all are open; holes under the table's size do not count as vents.
func TestVolumes(t *testing.T) {
	f := ladder()
	for id, v := range dips(f) {
		shut := len(id) == 1 // a to d are cross members
		if v.Ends[0].Vented() == shut || v.Ends[1].Vented() == shut {
			t.Errorf("%s: %+v", id, v)
		}
	}
	left := f.Members["left"]
	left.FromCap = true
	f.Members["left"] = left
	if v := dips(f)["left"]; v.Ends[0].Vented() || !v.Ends[1].Vented() {
		t.Errorf("capped: %+v", v)
	}
	more := parts.Vents(f)
	if len(more) != 5 || len(more["left"]) != 1 || len(more["a"]) != 2 {
		t.Fatalf("%+v", more)
	}
	// 40 × 40 wants 12 mm in pairs, 80 × 40 as 60: 12 mm
	if more["a"][0].Size != 0.012 || more["left"][0].Size != 0.012 {
		t.Errorf("%+v", more)
	}
	small := func(by float64) {
		for id, cuts := range more {
			m := f.Members[id]
			m.Cuts = map[string]plan.MemberCut{}
			for i, c := range cuts {
				c.Size *= length(by)
				m.Cuts[string(rune('a'+i))] = c
			}
			f.Members[id] = m
		}
	}
	small(0.8)
	if v := dips(f)["a"]; v.Ends[0].Vented() || v.Ends[0].Holes != 2 {
		t.Errorf("holes of 9.6 mm: %+v", v)
	}
	small(1)
	for id, v := range dips(f) {
		if !v.Ends[0].Vented() || !v.Ends[1].Vented() {
			t.Errorf("%s is not vented: %+v", id, v)
		}
	}
	if len(parts.Vents(f)) != 0 {
		t.Errorf("more is asked for: %+v", parts.Vents(f))
	}
}

// Rain stands in a level tube that is open and has no hole in its underside; one that falls to its open end is
// dry.
func TestWater(t *testing.T) {
	f := &plan.Frame{Members: map[string]plan.Member{"a": member(1, tube(.05, .05, .003), [3]float64{0, 0, 0}, [3]float64{2, 0, 0})}}
	if v := dips(f)["a"]; !v.Wet || v.Drain {
		t.Errorf("open and level: %+v", v)
	}
	m := f.Members["a"]
	m.Cuts = map[string]plan.MemberCut{"h": {Order: 1, What: plan.CutHole, At: 1, Size: .01}}
	f.Members["a"] = m
	if v := dips(f)["a"]; !v.Drain {
		t.Errorf("with a hole: %+v", v)
	}
	m.Cuts, m.To.Up = nil, -.1
	f.Members["a"] = m
	if v := dips(f)["a"]; !v.Drain {
		t.Errorf("falling: %+v", v)
	}
	m.FromCap, m.ToCap = true, true
	f.Members["a"] = m
	if v := dips(f)["a"]; v.Wet {
		t.Errorf("capped: %+v", v)
	}
}

// By hand, two metres of 50 × 50 × 3: 2·(0.2 + 0.176) = 0.752 m² at 505 g/m² times 1.2 = 0.456 kg; an angle
// 50 × 50 × 5 is 0.2 m² a metre.
func TestGalvanised(t *testing.T) {
	f := &plan.Frame{Members: map[string]plan.Member{"a": member(1, tube(.05, .05, .003), [3]float64{0, 0, 0}, [3]float64{2, 0, 0})}}
	area, zinc := parts.Galvanised(parts.FrameBars(f))
	if math.Abs(area-.752) > 1e-9 || math.Abs(zinc-.752*.505*1.2) > 1e-9 {
		t.Errorf("%v m², %v kg", area, zinc)
	}
	angle := plan.Profile{Shape: "angle", Height: .05, Width: .05, Wall: .005, Material: "s235"}
	f.Members["a"] = member(1, angle, [3]float64{0, 0, 0}, [3]float64{2, 0, 0})
	if area, _ := parts.Galvanised(parts.FrameBars(f)); math.Abs(area-.4) > 1e-9 {
		t.Errorf("angle %v m²", area)
	}
}

// The ladder's drawbar, 80 wide, lies under two cross members of 40: 32 cm² each; a bar that runs 2.4 m along
// under a rail lies on it over 40 mm.
func TestLaps(t *testing.T) {
	f := ladder()
	bars := parts.FrameBars(f)
	touches := parts.FrameTouches(bars)
	laps := parts.Laps(bars, touches, parts.FrameEnds(bars, touches))
	if len(laps) != 2 || math.Abs(laps[0].Area-.0032) > 1e-9 {
		t.Errorf("%+v", laps)
	}
	f.Members["under"] = member(20, tube(.04, .04, .003), [3]float64{0, -.55, -.08}, [3]float64{2.4, -.55, -.08})
	bars = parts.FrameBars(f)
	touches = parts.FrameTouches(bars)
	if laps = parts.Laps(bars, touches, parts.FrameEnds(bars, touches)); math.Abs(laps[0].Area-2.4*.04) > 1e-6 {
		t.Errorf("%+v", laps)
	}
}
