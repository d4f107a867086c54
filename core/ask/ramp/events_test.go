package ramp_test

import (
	"fmt"
	"math"
	"math/rand/v2"
	"strings"
	"testing"

	"zygonos/core/ask/ramp"
	"zygonos/core/internal/sample"
	"zygonos/core/lang/finding"
	"zygonos/core/rig"
)

// The worst moments of the drive are those of a drive of 20 000 steps, found from sixty.
func TestEventsAgainstDense(t *testing.T) {
	rnd := rand.New(rand.NewPCG(9, 14))
	at := func(lo, hi float64) string { return fmt.Sprintf("%.4f", lo+(hi-lo)*rnd.Float64()) }
	loading := "/outings/o/layouts/t/loading"
	for n := range 12 {
		drive := []string{`"all"`, `"rear"`, `"front"`, `"winch"`}[n%4]
		sets := []string{loading + "/drive", drive, loading + "/fall", at(-0.05, 0.1), loading + "/kerb", at(-0.05, 0.1), loading + "/raised", at(-0.1, 0.2),
			"/parts/ramps/ramp/length", at(1.6, 2.6), "/loads/crate/centre/up/value", at(0.3, 0.9), "/loads/crate/rolling/clearance/value", at(0.1, 0.3)}
		if n >= 8 { // a bed that tilts
			sets = append(sets, "/trailers/t/pivot", `2.2`, loading+"/ramp", `"gone"`)
		}
		s, missing, fails := ramp.Prepare(resolved(t, sets...))
		if s == nil || missing != nil || fails != nil {
			t.Fatalf("%v %v", missing, fails)
		}
		course, dense := s.Course(60), s.Drive(20000)
		a, b := ramp.WorstOf(course), ramp.WorstOf(dense)
		for _, c := range []struct {
			what      string
			got, want float64 // the greater the worse
		}{
			{"ball", -course[a.Ball].Ball, -dense[b.Ball].Ball},
			{"clearance", -course[a.Clearance].Clearance, -dense[b.Clearance].Clearance},
			{"bending", course[a.Bending].Bending, dense[b.Bending].Bending},
			{"line", course[a.Line].Wheels.Line, dense[b.Line].Wheels.Line},
		} {
			if c.got < c.want-1e-6*math.Max(1, math.Abs(c.want)) {
				t.Errorf("%d, %s: %v, among 20 000 steps %v", n, c.what, c.got, c.want)
			}
		}
	}
}

// A ramp as long as advised keeps its angle and clears, to the last millimetre, on ground
// that falls and with the coupling raised. By hand: 0.5 m up on ground that falls by 0.05 rad,
// 18°: 0.5/(0.309017 − 0.0500417·0.951057) = 1.9126 m.
func TestAdvisedRampsHold(t *testing.T) {
	s, _, _ := ramp.Prepare(resolved(t, "/outings/o/layouts/t/loading/fall", `0.05`))
	near(t, "advised", s.Wanted(), 1.92, 1e-9)
	rnd := rand.New(rand.NewPCG(18, 14))
	for range 40 {
		fall, kerb, raised, belly := rnd.Float64()*0.15-0.02, rnd.Float64()*0.15, rnd.Float64()*0.2, 0.08+0.12*rnd.Float64()
		sets := []string{"/outings/o/layouts/t/loading/fall", ftoa(fall), "/outings/o/layouts/t/loading/kerb", ftoa(kerb), "/outings/o/layouts/t/loading/raised", ftoa(raised),
			"/loads/crate/rolling/clearance/value", ftoa(belly)}
		s, _, fails := ramp.Prepare(resolved(t, sets...))
		if fails != nil || s == nil {
			continue
		}
		check := func(l float64, code string) finding.Finding {
			return sample.Find(t, ramp.Check(resolved(t, append(sets, "/parts/ramps/ramp/length", ftoa(l))...)), code)
		}
		if l := s.Wanted(); l > 0 && l <= 10 {
			if f := check(l, ramp.CodeAngle); f.Figure.Value > f.Limit.Value*(1+1e-9) {
				t.Errorf("advised %v m at a fall of %v: %v rad of %v", l, fall, f.Figure.Value, f.Limit.Value)
			}
		}
		if l := s.Shortest(0.03); l > 0 {
			if f := check(l, ramp.CodeClear); f.Figure.Value < 0.03 {
				t.Errorf("advised %v m: %v m under it", l, f.Figure.Value)
			}
		}
		if up := s.LeastRaise(0.03); up > 0 {
			f := sample.Find(t, ramp.Check(resolved(t, append(sets, "/outings/o/layouts/t/loading/raised", ftoa(raised+up))...)), ramp.CodeClear)
			if f.Figure.Value < 0.03 {
				t.Errorf("advised %v m higher: %v m under it", up, f.Figure.Value)
			}
		}
	}
}

// Props hold only where they stand behind the whole centre. A prop 20 mm behind the axle would
// bear |R|·2.5/0.02, many times of what the rig weighs: it tips over it. 0.9 m behind it bears
// |R|·2.5/0.9.
func TestPropsTip(t *testing.T) {
	loading := "/outings/o/layouts/t/loading"
	for back, want := range map[string]finding.Outcome{`1.52`: finding.Fails, `1.4`: finding.Fails, `2.4`: finding.Tight} {
		r := resolved(t, loading+"/unhitched", `true`, loading+"/props", `{"back":`+back+`,"gap":0.02}`)
		fs := ramp.Check(r)
		tip, props := sample.Find(t, fs, ramp.CodeTip), sample.Find(t, fs, ramp.CodeProps)
		if tip.Outcome != want || (props.Outcome == finding.Fails) != (want == finding.Fails) {
			t.Errorf("props at %s: %s, %s %q", back, tip.Outcome, props.Outcome, props.Says.Text(r.Plan.Locale()))
		}
	}
	s, _, _ := ramp.Prepare(resolved(t, loading+"/unhitched", `true`, loading+"/props", `{"back":2.4,"gap":0.02}`))
	steps := s.Course(60)
	st := steps[ramp.WorstOf(steps).Prop]
	near(t, "bears", st.Prop, -st.Ball*2.5/0.9, 1e-9)
	if st.Prop <= 0 || st.Tips {
		t.Errorf("%v kg, tips %v", st.Prop, st.Tips)
	}
}

// A car whose rear axle would bear less than nothing lifts: that fails. 20 kg on it empty,
// with its people 102.5; what comes off is (2.5 + 1)/2.5 of what the coupling is lifted by.
func TestCarLifts(t *testing.T) {
	r := resolved(t, "/towVehicles/car/rearEmpty/value", `20`, "/outings/o/people/value", `60`, "/outings/o/gear", "-")
	f := sample.Find(t, ramp.Check(r), ramp.CodeCar)
	if says := f.Says.Text(r.Plan.Locale()); f.Outcome != finding.Fails || !strings.Contains(says, "rear wheels lift") {
		t.Errorf("%s %q", f.Outcome, says)
	}
}

func BenchmarkCourse(b *testing.B) {
	s, _, _ := ramp.Prepare(rig.Resolve(onRamps(b), "t", "o"))
	for b.Loop() {
		s.Course(60)
	}
}
