package ramp_test

import (
	"math"
	"strconv"
	"testing"

	"zygonos/core/internal/sample"
	"zygonos/core/ramp"
	"zygonos/core/rig"
)

// What a bought ramp's number may count: 300 kg, wheels 1.2 m apart, the centre 0.55 m ahead of the
// rear ones: on the level 162.5 kg there, going up 14.48° by 300·0.5·tan/1.2 = 32.3 kg more.
func TestRatings(t *testing.T) {
	part := "/parts/ramps/ramp"
	axle := 300*0.65/1.2 + 300*0.5*math.Tan(math.Asin(0.25))/1.2
	for name, c := range map[string]struct {
		counts, per string
		want        float64
	}{
		"vehicle, pair": {`"vehicle"`, `"pair"`, 300}, "vehicle, each": {`"vehicle"`, `"each"`, 150},
		"axle, pair": {`"axle"`, `"pair"`, axle}, "axle, each": {`"axle"`, `"each"`, axle / 2},
	} {
		f := sample.Find(t, ramp.Check(resolved(t, part+"/counts", c.counts, part+"/per", c.per)), ramp.CodeRating)
		near(t, name, f.Figure.Value, c.want, 0.05)
	}
	full := sample.Find(t, ramp.Check(resolved(t, part+"/kind", `"full"`, part+"/per", `"each"`)), ramp.CodeRating)
	near(t, "one ramp bears all", full.Figure.Value, 300, 1e-9)
}

// The shortest ramp that clears does, and one 100 mm shorter does not.
func TestShortest(t *testing.T) {
	sets := []string{"/loads/crate/rolling/clearance/value", `0.1`}
	s, _, _ := ramp.Prepare(resolved(t, sets...))
	l := s.Shortest(0.03)
	if l <= 2 {
		t.Fatalf("%v", l)
	}
	clear := func(length float64) float64 {
		r := resolved(t, append(sets, "/parts/ramps/ramp/length", ftoa(length))...)
		s, _, _ := ramp.Prepare(r)
		steps := s.Drive(300)
		return steps[ramp.WorstOf(steps).Clearance].Clearance
	}
	if got := clear(l); got < 0.0295 {
		t.Errorf("%v m leave %v", l, got)
	}
	if got := clear(l - 0.1); got >= 0.03 {
		t.Errorf("%v m leave %v too", l-0.1, got)
	}
	low := []string{"/loads/crate/rolling/clearance/value", `0.02`}
	s, _, _ = ramp.Prepare(resolved(t, low...))
	if got := s.Shortest(0.03); got != 0 {
		t.Errorf("a belly 20 mm up clears 30 on %v m", got)
	}
}

// The least that the coupling is raised clears, and 20 mm less does not.
func TestLeastRaise(t *testing.T) {
	sets := []string{"/loads/crate/rolling/clearance/value", `0.1`}
	s, _, _ := ramp.Prepare(resolved(t, sets...))
	up := s.LeastRaise(0.03)
	if up <= 0.02 {
		t.Fatalf("%v", up)
	}
	for raised, want := range map[float64]bool{up: true, up - 0.02: false} {
		s, _, _ := ramp.Prepare(resolved(t, append(sets, "/outings/o/layouts/t/loading/raised", ftoa(raised))...))
		steps := s.Drive(300)
		if got := steps[ramp.WorstOf(steps).Clearance].Clearance; got >= 0.0295 != want {
			t.Errorf("raised by %v it leaves %v", raised, got)
		}
	}
}

// What draws a tilted bed down: the machine's weight on the lever of its centre behind the
// pivot, over that of the headboard, both level.
func TestHand(t *testing.T) {
	s, _, _ := ramp.Prepare(resolved(t, "/outings/o/layouts/t/loading/ramp", "-", "/trailers/t/pivot", `2.4`))
	u := -3.4
	q := s.Body.Stand(s.Path, u, 0)
	centre := s.Body.Place(q, s.Body.CentreAhead, s.Body.CentreUp)
	want := 300 * (-2.4 - centre.U) / (1.4 * math.Cos(s.Angle))
	if want < 20 {
		t.Fatalf("a poor case: %v", want)
	}
	near(t, "hand", s.Hand(&ramp.Step{U: u}), want, 0.01)
	near(t, "past the pivot", s.Hand(&ramp.Step{U: -2.2}), 0, 0)
}

// What the winch needs: from rest 1.15 times what holds it on the slope and its rolling; a
// block halves it and loses a tenth.
func TestNeeded(t *testing.T) {
	loading := "/outings/o/layouts/t/loading"
	winch := func(more string) (most, slope, bump float64) {
		r := resolved(t, loading+"/drive", `"winch"`, loading+"/winch", `{"back":-0.5,"up":0.3`+more+`}`)
		s, _, _ := ramp.Prepare(r)
		m, sl, b, ok := s.Needed(s.Drive(300))
		if !ok {
			t.Fatal("it does not climb")
		}
		return m, sl, b
	}
	most, slope, bump := winch("")
	// On the ramp 300·(0.25 + 0.04·0.968) = 86.6 kg along it, from rest 99.6; the line leans, so a
	// few parts in a hundred more; on both hinges it never asks for less.
	if slope < 99 || slope > 115 {
		t.Errorf("along the way %v", slope)
	}
	near(t, "hinge", bump, 300*0.65/1.2*math.Sqrt(2*0.28*0.02-0.0004)/0.26, 1e-6)
	near(t, "the most", most, math.Max(slope, bump), 1e-9)
	block, _, _ := winch(`,"block":true`)
	near(t, "with a block", block, most/1.8, 1e-9)
	locked, _, _ := winch(`,"wheels":"locked"`)
	if locked < 1.15*300*0.8 {
		t.Errorf("locked wheels %v", locked)
	}
}

// Higher centres load the lower wheels more on the way up; the flat model does not see it.
func TestCentreHeight(t *testing.T) {
	at := func(up string) ramp.Step {
		s, _, _ := ramp.Prepare(resolved(t, "/loads/crate/centre/up/value", up))
		return s.At(s.Foot.U+0.2, 0)
	}
	low, high := at(`0.2`), at(`0.9`)
	if !(high.Wheels.Rear.Down > low.Wheels.Rear.Down+5) {
		t.Errorf("rear wheels %v and %v", low.Wheels.Rear.Down, high.Wheels.Rear.Down)
	}
	near(t, "all of it", high.Wheels.Rear.Down+high.Wheels.Front.Down, 300, 1e-9)
}

// Tail first, what was behind goes ahead: it ends where Balance has it all the same.
func TestBackward(t *testing.T) {
	r := resolved(t, sample.Crate+"/turn", `180`)
	s, missing, _ := ramp.Prepare(r)
	if s == nil {
		t.Fatal(missing)
	}
	steps := s.Drive(200)
	near(t, "ball at home", steps[199].Ball, r.Bears.Ball.Nominal+30*0.9/2.5-15*1.0/2.5, 0.01)
	near(t, "before the front wheels", s.Body.Before, 1.9-0.35-1.2, 1e-9)
	if got := rig.Resolve(sample.Plan(t), "t", "o"); len(ramp.Check(got)) != 0 {
		t.Error("a drive without a machine")
	}
}

func ftoa(v float64) string { return strconv.FormatFloat(v, 'f', -1, 64) }
