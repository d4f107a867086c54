package study_test

import (
	"math"
	"strings"
	"testing"

	"zygonos/core/internal/sample"
	"zygonos/core/lang/finding"
	"zygonos/core/plan"
	"zygonos/core/review"
	"zygonos/core/study"
)

const readings = "/outings/o/layouts/t/readings"

// The crate guessed at 400 ± 100: the ball bears 20 + 0.1·m, 50 to 70 kg. The
// scale reads 55 ± 1: m lies between 340 and 360. (The places of the sample are
// in doubt by 10 mm, which takes off and adds 4 kg·m/m: its arm is 0.25 ± 0.01,
// so m lies between 34/0.104 = 326.9 and 36/0.096 = 375.)
func TestReadScales(t *testing.T) {
	guessed := []string{"/loads/crate/mass", `{"value":400,"plusMinus":100,"how":"guessed"}`}
	p := sample.Plan(t, append(guessed, readings, `{"r":{"order":1,"what":"ball","mass":55,"plusMinus":1}}`)...)
	s := study.ReadScales(p, review.Request{Outing: "o", Trailer: "t"})
	if s.Outcome != finding.Holds || len(s.Rows) != 1 || len(s.Guesses) != 1 || s.Fix == nil || s.After == nil {
		t.Fatalf("%+v", s)
	}
	e := s.Rows[0].Expect
	// Before: 20 + m·(0.25 ∓ 0.01)/2.5 for 300 to 500.
	for _, c := range []struct {
		what      string
		got, want float64
	}{
		{"expected", e.Value, 60}, {"at least", *e.Low, 20 + 300*0.24/2.5}, {"at most", *e.High, 20 + 500*0.26/2.5},
		{"narrowed from", *s.Guesses[0].After.Low, 34 / 0.104}, {"narrowed to", *s.Guesses[0].After.High, 36 / 0.096},
	} {
		if math.Abs(c.got-c.want) > 1e-6 {
			t.Errorf("%s: got %v, want %v", c.what, c.got, c.want)
		}
	}
	// Taken over, the crate is known from 326.9 to 375: 351 ± 24.1.
	q, err := plan.Apply(p, s.Fix.Patch)
	if err != nil || len(plan.Clean(q)) > 0 {
		t.Fatal(err)
	}
	m := q.Loads["crate"].Mass
	if math.Abs(float64(m.Value)-351) > 0.051 || math.Abs(float64(*m.PlusMinus)-24.1) > 0.051 || m.How != plan.Weighed {
		t.Errorf("%+v", m)
	}

	// 40 ± 1 asks for a crate of 182.7 to 218.75: it cannot be 300.
	bad := study.ReadScales(sample.Plan(t, append(guessed, readings, `{"r":{"order":1,"what":"ball","mass":40,"plusMinus":1}}`)...), review.Request{Outing: "o", Trailer: "t"})
	if bad.Outcome != finding.Fails || !strings.Contains(bad.Says.Text(p.Locale()), "Crate cannot be 400 kg: the scale says 183 kg to 219 kg") || len(bad.Suspect) == 0 {
		t.Errorf("%s %q", bad.Outcome, bad.Says.Text(p.Locale()))
	}
	// Ball and axle at odds with the whole: no one guess mends it.
	odd := study.ReadScales(sample.Plan(t, append(guessed, readings,
		`{"a":{"order":1,"what":"ball","mass":60,"plusMinus":1},"b":{"order":2,"what":"axle","mass":590,"plusMinus":1},"c":{"order":3,"what":"whole","mass":900,"plusMinus":1}}`)...), review.Request{Outing: "o", Trailer: "t"})
	if odd.Outcome != finding.Fails || !strings.Contains(odd.Says.Text(p.Locale()), "contradict") {
		t.Errorf("%s %q", odd.Outcome, odd.Says.Text(p.Locale()))
	}
	// Moved since: the scale still speaks of how it stood.
	then := `{"r":{"order":1,"what":"ball","mass":55,"plusMinus":1,"stood":{"placements":{"crate":{"on":"deck","at":{"back":0.75}}}}}}`
	moved := study.ReadScales(sample.Plan(t, append(guessed, readings, then, sample.Crate+"/at/back", `1.1`)...), review.Request{Outing: "o", Trailer: "t"})
	if !moved.Moved || len(moved.Guesses) != 1 || math.Abs(*moved.Guesses[0].After.High-36/0.096) > 1e-6 {
		t.Errorf("%+v", moved)
	}
	none := study.ReadScales(sample.Plan(t), review.Request{Outing: "o", Trailer: "t"})
	if none.Outcome != finding.Unknown || len(none.Expect) != 5 {
		t.Errorf("%+v", none)
	}
}

// The window of 10 to 15 %. Empty 8 kg on the ball, a crate of 400 ± 150 with its
// middle 0.4 m before the axle: 8 + 0.16·m, so 48 of 500 (9.6 %) to 96 of 800
// (12 %), stated 72 of 650 (11.1 %). The ball read at 72 ± 1.44 leaves at the least
// 70.56 of 657 (10.7 %): one reading of the ball settles it.
func TestSettles(t *testing.T) {
	p := sample.Plan(t, "/loads/crate/mass", `{"value":400,"plusMinus":150,"how":"guessed"}`, "/trailers/t/empty/ball/mass", `8`, "/trailers/t/empty/axle/mass", `242`,
		"/ballSchool", `"ten-fifteen"`, sample.Crate+"/at/back", `0.6`, "/towVehicles/car/ballLimit", `200`, "/towVehicles/car/hitchBall", `200`)
	s := study.ReadScales(p, review.Request{Outing: "o", Trailer: "t"})
	if got := s.Settles.Text(p.Locale()); got != "One more reading settles it: Noseweight on the scale." {
		t.Errorf("%q", got)
	}
	p = sample.Plan(t)
	if s := study.ReadScales(p, review.Request{Outing: "o", Trailer: "t"}); s.Settles != nil {
		t.Errorf("%q", s.Settles.Text(p.Locale()))
	}
}
