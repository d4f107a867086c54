package latch_test

import (
	"math"
	"strings"
	"testing"

	"zygonos/core/ask/latch"
	"zygonos/core/internal/sample"
	"zygonos/core/lang/finding"
	"zygonos/core/rig"
)

// gate is the sample's trailer with a part of a kind, 1.2 m high and 1.2 m wide, 0.1 m long.
func gate(t *testing.T, kind, mass, told string, more ...string) []finding.Finding {
	t.Helper()
	part := `{"order":1,"name":"Gate","kind":"` + kind + `","mass":{"value":` + mass + `,"plusMinus":0,"how":"weighed"},
		"size":{"length":{"value":0.1,"how":"weighed"},"width":{"value":1.2,"how":"weighed"},"height":{"value":1.2,"how":"weighed"}},"centre":{}`
	if told != "" {
		part += `,"latch":` + told
	}
	sets := append([]string{"/parts/g", part + "}", "/trailers/t/fitted", `{"g":{"at":{"back":2.5}}}`, "/outings/o/speed", "25"}, more...)
	return latch.Check(rig.Resolve(sample.Plan(t, sets...), "t", "o"))
}

// A gate of 60 kg: 60·0.5·0.45 = 13.5 kg at its top, and wind of 25 m/s on 1.44 m²,
// 0.625·625·1.1·1.44/9.80665 = 63.10 kg, half of it at the top: 45.05 kg. A pin of 8 mm, no grade:
// 2·0.6·510 MPa·0.78·50.27 mm²/1.25/2 = 9598 N, 978.7 kg. A spare wheel of 15 kg hangs with 30 on
// the road, 45 on a track. A lid of 15 kg lifts with 3 kg and 62.5·... of wind on its top.
func TestHolds(t *testing.T) {
	for _, c := range []struct {
		kind, mass, told string
		want             finding.Outcome
		pulls, takes     float64
	}{
		{"ramp-gate", "60", `{"how":"pin","pin":0.008}`, finding.Holds, 45.05, 978.7},
		{"ramp-gate", "60", `{"how":"hook","takes":40}`, finding.Fails, 45.05, 40},
		{"ramp-gate", "60", `{"how":"hook","takes":40,"count":2}`, finding.Holds, 22.525, 40},
		{"ramp-gate", "60", `{"how":"hook","takes":40,"up":2.4}`, finding.Holds, 22.525, 40},
		{"ramp-gate", "60", `{"how":"hook","takes":40,"opens":"front"}`, finding.Holds, 21.6, 40},
		{"spare", "15", `{"how":"bolt","takes":33}`, finding.Tight, 30, 33},
		{"spare", "15", `{"how":"bolt","takes":29}`, finding.Fails, 30, 29},
		// 60·0.5·0.45 and a gust of 20 m/s on 0.1 · 1.2 m²: 3.365 kg, half of it.
		{"sides", "60", `{"how":"hook","takes":100}`, finding.Holds, 15.18, 100},
		// Upward 0.2 of 15 kg, and 390.6·0.12/9.80665 = 4.78 kg of wind on its top.
		{"reel", "15", `{"how":"hook","takes":100}`, finding.Holds, 7.78, 100},
	} {
		f := sample.Find(t, gate(t, c.kind, c.mass, c.told), latch.CodeHolds)
		if f.Outcome != c.want || math.Abs(f.Figure.Value-c.pulls) > 0.02 || math.Abs(f.Limit.Value-c.takes) > 0.1 {
			t.Errorf("%s %s: %s %v of %v", c.kind, c.told, f.Outcome, f.Figure.Value, f.Limit.Value)
		}
	}
	if f := sample.Find(t, gate(t, "spare", "15", `{"takes":40}`, "/outings/o/road", `"track"`), latch.CodeHolds); math.Abs(f.Figure.Value-45) > 1e-9 || f.Outcome != finding.Fails {
		t.Errorf("on a track: %+v", f)
	}
	for _, told := range []string{"", "{}", `{"how":"pin"}`} {
		if f := sample.Find(t, gate(t, "ramp-gate", "60", told), latch.CodeHolds); f.Outcome != finding.Unknown || len(f.Needs) != 1 {
			t.Errorf("%q: %+v", told, f)
		}
	}
	// Without its height or its width the wind on it is not known.
	for _, side := range []string{"height", "width"} {
		f := sample.Find(t, gate(t, "ramp-gate", "60", `{"takes":500}`, "/parts/g/size/"+side, "-"), latch.CodeHolds)
		if f.Outcome != finding.Unknown || len(f.Needs) != 1 || f.Needs[0].Path != "/parts/g/size/"+side {
			t.Errorf("no %s: %+v", side, f)
		}
	}
	if f := sample.Find(t, gate(t, "ramp-gate", "60", `{"how":"weight","takes":500}`), latch.CodeHolds); f.Outcome != finding.Fails {
		t.Errorf("by its weight: %+v", f)
	}
	if fs := gate(t, "toolbox", "60", ""); len(fs) > 0 {
		t.Errorf("a toolbox needs no latch: %v", fs)
	}
}

func TestSecond(t *testing.T) {
	has := func(told string) bool {
		for _, f := range gate(t, "ramp-gate", "60", told) {
			if f.Code == latch.CodeSecond {
				return true
			}
		}
		return false
	}
	if !has(`{"takes":500}`) || has(`{"takes":500,"second":true}`) {
		t.Error("a second lock is asked for where there is none")
	}
}

// 3 mm in a socket of 100 mm are 36 mm at 1.2 m; 2 mm are 24.
func TestSway(t *testing.T) {
	for play, want := range map[string]finding.Outcome{"0.003": finding.Tight, "0.002": finding.Holds} {
		f := sample.Find(t, gate(t, "ramp-gate", "60", `{"takes":500,"play":`+play+`,"socket":0.1}`), latch.CodeSway)
		if f.Outcome != want {
			t.Errorf("%s: %+v", play, f)
		}
	}
	f := sample.Find(t, gate(t, "ramp-gate", "60", `{"takes":500,"play":0.003,"socket":0.1}`), latch.CodeSway)
	if math.Abs(f.Figure.Value-0.036) > 1e-9 {
		t.Errorf("%v", f.Figure.Value)
	}
}

// A drawbar that slides in a sleeve: its pin takes the whole laden trailer, 650 kg in the sample, whatever
// the slide weighs; without the trailer's weight it is not known.
func TestSlides(t *testing.T) {
	slide := `{"s":{"order":1,"name":"Slide","kind":"drawbar-slide","mass":{"value":12,"how":"weighed"},"size":{},
		"latch":{"takes":%s}}}`
	fitted := `{"s":{"at":{"back":-1}}}`
	for takes, want := range map[string]finding.Outcome{"900": finding.Holds, "600": finding.Fails} {
		p := sample.Plan(t, "/parts", strings.ReplaceAll(slide, "%s", takes), "/trailers/t/fitted", fitted)
		f := sample.Find(t, latch.Check(rig.Resolve(p, "t", "o")), latch.CodeHolds)
		if f.Outcome != want || math.Abs(f.Figure.Value-662) > 1 && math.Abs(f.Figure.Value-650) > 13 {
			t.Errorf("%s kg: %s %+v", takes, f.Outcome, f.Figure)
		}
		for _, step := range f.Work() {
			if step.Result.Value != f.Figure.Value {
				t.Errorf("worked to %v, said %v", step.Result.Value, f.Figure.Value)
			}
		}
	}
	p := sample.Plan(t, "/parts", strings.ReplaceAll(slide, "%s", "900"), "/trailers/t/fitted", fitted,
		"/loads/crate/mass", "-", "/loads/crate/kind", "-")
	if f := sample.Find(t, latch.Check(rig.Resolve(p, "t", "o")), latch.CodeHolds); f.Outcome != finding.Unknown || len(f.Needs) == 0 {
		t.Errorf("an unweighed crate: %s", f.Outcome)
	}
}
