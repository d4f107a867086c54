package clearance_test

import (
	"math"
	"strings"
	"testing"

	"zygonos/core/ask/clearance"
	"zygonos/core/internal/sample"
	"zygonos/core/lang/finding"
	"zygonos/core/rig"
)

// The sample: deck from 1.0 to 3.5 m, 1.4 m wide; track 1.6 m, so 1.6 + 0.17 =
// 1.77 m over the wheels. The crate stands from 1.75 to 2.75 m.
func TestMeasure(t *testing.T) {
	for _, c := range []struct {
		name                            string
		sets                            []string
		rear, right, width, length, gap float64
	}{
		// Front board 1.0 m behind the ball, bumper 0.15 m before it.
		{"as it stands", nil, 0, 0, 1.77, 3.6, 1.15},
		{"crate at the tail", []string{sample.Crate + "/at/back", `3`}, 1.5, 0, 1.77, 5.1, 1.15},
		// A box 2.3 m wide: 1.15 − 0.885 beyond each side.
		{"wide", []string{"/loads/crate/size/width/value", `2.3`}, 0, 0.265, 2.3, 3.6, 1.15},
		// A tailgate of 0.6 m from a bumper 0.2 m before the ball: 1.0 + 0.2 − 0.6.
		{"tailgate", []string{"/towVehicles/car/ballBehind", `0.2`, "/towVehicles/car/gateReach", `0.6`}, 0, 0, 1.77, 3.6, 0.6},
		// A low bow goes under a tailgate that opens at 1.4 m.
		{"low bow", []string{"/towVehicles/car/ballBehind", `0.2`, "/towVehicles/car/gateReach", `0.6`, "/towVehicles/car/gateHeight", `1.4`, sample.Crate + "/at/back", `-0.4`}, 0, 0, 1.77, 3.6, 0.8},
		{"width stated", []string{"/trailers/t/widthOverAll", `{"value":1.9,"how":"weighed"}`}, 0, 0, 1.9, 3.6, 1.15},
		{"deck wider than the width stated", []string{"/trailers/t/widthOverAll", `{"value":1.2,"how":"weighed"}`}, 0, 0, 1.4, 3.6, 1.15},
	} {
		m := clearance.Measure(rig.Resolve(sample.Plan(t, c.sets...), "t", "o"))
		for _, v := range []struct {
			what string
			got  *float64
			want float64
		}{{"rear", m.Rear, c.rear}, {"right", m.Right, c.right}, {"left", m.Left, c.right}, {"width", m.Width, c.width}, {"length", m.Length, c.length}, {"gap", m.Gap, c.gap}} {
			if v.got == nil || math.Abs(*v.got-v.want) > 1e-9 {
				t.Errorf("%s: %s is %v, want %v", c.name, v.what, v.got, v.want)
			}
		}
	}
}

func TestCheck(t *testing.T) {
	for _, c := range []struct {
		code, want, says string
		sets             []string
	}{
		{clearance.CodeRear, "holds", "300 mm beyond", []string{sample.Crate + "/at/back", `1.8`}},
		{clearance.CodeRear, "tight", "visible", []string{sample.Crate + "/at/back", `2.6`}},
		{clearance.CodeRear, "tight", "end marker", []string{sample.Crate + "/at/back", `3.6`}},
		{clearance.CodeRear, "tight", "18 × 18 in", []string{sample.Crate + "/at/back", `2.8`, "/region", `"na"`}}, // 1.3 m, 4 ft is 1.219
		{clearance.CodeRear, "holds", "beyond", []string{sample.Crate + "/at/back", `2.7`, "/region", `"na"`}},     // 1.2 m
		{clearance.CodeSide, "holds", "265 mm", []string{"/loads/crate/size/width/value", `2.3`}},
		{clearance.CodeSide, "fails", "305 mm", []string{"/loads/crate/size/width/value", `2.4`}}, // 315 beyond
		{clearance.CodeSide, "fails", "150 mm", []string{"/loads/crate/size/width/value", `2.3`, "/region", `"au"`}},
		{clearance.CodeSide, "tight", "flag", []string{"/loads/crate/size/width/value", `2.0`, "/region", `"na"`}}, // 115 of 101.6
		{clearance.CodeWidth, "fails", "2550 mm", []string{"/trailers/t/widthOverAll", `{"value":2.6,"how":"weighed"}`}},
		{clearance.CodeWidth, "holds", "1770 mm", nil},
		{clearance.CodeWidth, "holds", "1400 mm wide", []string{"/trailers/t/track", "-"}},
		{clearance.CodeWidth, "tight", "wheels beside it", []string{"/trailers/t/track", "-", "/trailers/t/deckWidth/value", `2.0`}},
		{clearance.CodeWidth, "holds", "2000 mm wide", []string{"/trailers/t/deckWidth/value", `2.0`}},
		{clearance.CodeLong, "holds", "2500 mm long without its drawbar; 7000 mm", nil},
		{clearance.CodeLong, "fails", "7100 mm", []string{"/trailers/t/deckLength/value", `7.1`}},
		{clearance.CodeLong, "holds", "3600 mm long with its drawbar; 12 m", []string{"/region", `"eu"`}}, // 1.0 + 2.5 + 0.1
		{clearance.CodeLong, "fails", "12.1 m", []string{"/region", `"eu"`, "/trailers/t/deckLength/value", `11.0`}},
		{clearance.CodeCar, "holds", "tailgate shut", nil},
		{clearance.CodeCar, "fails", "into the car", []string{sample.Crate + "/at/back", `-1.3`}},
		{clearance.CodeCar, "tight", "Only 250 mm", []string{sample.Crate + "/at/back", `-0.9`}},
	} {
		p := sample.Plan(t, c.sets...)
		_, fs := clearance.Check(rig.Resolve(p, "t", "o"))
		f := sample.Find(t, fs, c.code)
		if string(f.Outcome) != c.want || !strings.Contains(f.Says.Text(p.Locale()), c.says) {
			t.Errorf("%s %v: %s %q", c.code, c.sets, f.Outcome, f.Says.Text(p.Locale()))
		}
	}
	// What is not known is left out, not taken for zero.
	m, fs := clearance.Check(rig.Resolve(sample.Plan(t, "/trailers/t/deckLength", "-", "/trailers/t/deckWidth", "-", "/trailers/t/track", "-"), "t", "o"))
	if m.Rear != nil || m.Width != nil {
		t.Errorf("%+v", m)
	}
	for _, f := range fs {
		if f.Outcome == finding.Fails {
			t.Errorf("%s fails", f.Code)
		}
	}
}
