package study_test

import (
	"context"
	"fmt"
	"math"
	"math/rand/v2"
	"strings"
	"testing"

	"zygonos/core/ask/balance"
	"zygonos/core/internal/sample"
	"zygonos/core/lang/finding"
	"zygonos/core/plan"
	"zygonos/core/review"
	"zygonos/core/rig"
	"zygonos/core/study"
)

// The stretch of an outing against axles set one by one along the trailer: inside
// the window holds, outside it does not; so too whatever the guesses.
func TestStretchAgainstScan(t *testing.T) {
	r := rand.New(rand.NewPCG(51, 52))
	seen := 0
	for range 25 {
		sets := []string{
			"/trailers/t/runningGear", fmt.Sprintf(`{"value":%v,"plusMinus":5,"how":"weighed"}`, 50+60*r.Float64()),
			"/loads/crate/mass", fmt.Sprintf(`{"value":%v,"plusMinus":%v,"how":"guessed"}`, 200+300*r.Float64(), 40*r.Float64()),
			sample.Crate + "/at/back", fmt.Sprint(0.3 + r.Float64()), "/region", `"eu"`, "/ballSchool", []string{`"four-seven"`, `"about-ten"`, `"ten-fifteen"`}[r.IntN(3)],
			"/towVehicles/car/ballLimit", fmt.Sprint(60 + 60*r.Float64()), "/towVehicles/car/hitchBall", `200`,
			"/trailers/t/empty/axleAt", `2.5`,
		}
		a := study.PlaceAxle(context.Background(), sample.Plan(t, sets...), "t")
		row := a.Rows[0]
		for l := 1.9; l < 3.4; l += 0.037 {
			rg := rig.Resolve(sample.Plan(t, append(sets, "/trailers/t/couplingToAxle/value", fmt.Sprint(l))...), "t", "o")
			for _, c := range []struct {
				what string
				i    *study.Interval
				sure bool
			}{{"stated", row.Nominal, false}, {"sure", row.Sure, true}} {
				low, high := balance.Margins(rg, c.sure)
				holds := low >= 0 && high >= 0
				inside := c.i != nil && l >= c.i.From && l <= c.i.To
				edge := c.i != nil && (math.Abs(l-c.i.From) < 1e-6 || math.Abs(l-c.i.To) < 1e-6)
				if holds != inside && !edge {
					t.Errorf("%s: axle at %v: holds %v, stretch %+v", c.what, l, holds, c.i)
				}
				if holds {
					seen++
				}
			}
		}
	}
	if seen < 50 {
		t.Errorf("only %d places held", seen)
	}
}

// No place along the axle has a larger least margin than the best.
func TestBestAxleAgainstScan(t *testing.T) {
	gear := []string{"/trailers/t/runningGear", `{"value":80,"plusMinus":0,"how":"weighed"}`, "/trailers/t/empty/axleAt", `2.5`,
		"/outings/p", `{"order":2,"name":"P","vehicle":"car","layouts":{"t":{"placements":{"crate":{"on":"deck","at":{"back":0.9}}}}}}`}
	least := func(l float64) float64 {
		m := math.Inf(1)
		for _, o := range []string{"o", "p"} {
			low, high := balance.Margins(rig.Resolve(sample.Plan(t, append(gear, "/trailers/t/couplingToAxle/value", fmt.Sprint(l))...), "t", o), false)
			m = min(m, low, high)
		}
		return m
	}
	best := *study.PlaceAxle(context.Background(), sample.Plan(t, gear...), "t").Best
	top := least(best)
	for l := 2.0; l < 3; l += 0.01 {
		if least(l) > top+2e-4 { // the best is stated to the millimetre
			t.Errorf("at %v the margin is %v, at the best %v only %v", l, least(l), best, top)
		}
	}
}

// A slide into the window against loads slid one by one.
func TestShiftAgainstScan(t *testing.T) {
	long(t)
	r := rand.New(rand.NewPCG(53, 54))
	for range 60 {
		back := 1.5 * r.Float64()
		sets := []string{"/loads/crate/mass/value", fmt.Sprint(100 + 400*r.Float64()), "/trailers/t/deckLength/value", fmt.Sprint(1.5 + 1.5*r.Float64())}
		p := sample.Plan(t, append(sets, sample.Crate+"/at/back", fmt.Sprint(back))...)
		d, patch, reached := study.Shift(rig.Resolve(p, "t", "o"))
		found := false
		deck := float64(p.Trailers["t"].DeckLength.Value)
		for at := 0.0; at <= deck-1+1e-9; at += 0.005 {
			if !balance.Misses(rig.Resolve(sample.Plan(t, append(sets, sample.Crate+"/at/back", fmt.Sprint(at))...), "t", "o")) {
				found = true
				break
			}
		}
		if found && !reached {
			t.Errorf("%v: some place on the deck is in the window, the slide of %v is not", sets, d)
		}
		if reached {
			q, err := plan.Apply(p, patch)
			if err != nil {
				t.Fatal(err)
			}
			got := rig.Resolve(q, "t", "o")
			w := balance.Check(got).Window
			if b := got.Bears.Ball.Nominal; b < w.Low-0.51 || b > w.High+0.51 {
				t.Errorf("slid by %v the ball bears %v of %v to %v", d, b, w.Low, w.High)
			}
		}
	}
}

// The growths that fit what is carried, each over the outings that carry it.
func TestGrowths(t *testing.T) {
	boat := `{"order":2,"name":"Dinghy","kind":"dinghy","mass":{"value":80,"plusMinus":0,"how":"weighed"},"size":{"length":{"value":4,"how":"weighed"}},"centre":{}}`
	quad := `{"order":3,"name":"Quad","kind":"quad","mass":{"value":300,"plusMinus":0,"how":"weighed"},"size":{"length":{"value":2,"how":"weighed"}},"centre":{}}`
	p := sample.Plan(t, "/loads/boat", boat, "/loads/quad", quad,
		"/outings/b", `{"order":2,"name":"Boats","vehicle":"car","layouts":{"t":{"placements":{"boat":{"on":"deck","at":{"back":-0.8}}}}}}`,
		"/outings/q", `{"order":3,"name":"Quad day","vehicle":"car","layouts":{"t":{"placements":{"quad":{"on":"deck","at":{"back":0.3}}}}}}`)
	// weighed at both ends it is 180 + 120 kg: 390 with three tenths more, whatever its weight says
	ends := sample.Plan(t, "/loads/quad", strings.Replace(quad, `"mass":`, `"ends":{"front":{"value":180,"plusMinus":0,"how":"weighed"},"rear":{"value":120,"plusMinus":0,"how":"weighed"},"frontAt":0.3,"rearAt":1.6},"mass":`, 1),
		"/outings/q", `{"order":3,"name":"Quad day","vehicle":"car","layouts":{"t":{"placements":{"quad":{"on":"deck","at":{"back":0.3}}}}}}`)
	for _, g := range study.Buy(context.Background(), ends, "t").Growth {
		q, err := plan.Apply(ends, g.Patch)
		if err != nil {
			t.Fatal(err)
		}
		was, is := rig.Resolve(ends, "t", "q").Total().Nominal, rig.Resolve(q, "t", "q").Total().Nominal
		if math.Abs(is-was-90) > 1e-9 || g.Name.Text(p.Locale()) != "the next bigger than Quad, 390 kg" {
			t.Errorf("%s: %v more", g.Name.Text(p.Locale()), is-was)
		}
	}
	got := map[string]string{}
	for _, g := range study.Buy(context.Background(), p, "t").Growth {
		got[g.Name.Text(p.Locale())] = g.Outing
		q, err := plan.Apply(p, g.Patch)
		if err != nil || len(plan.Clean(q)) > 0 {
			t.Errorf("%s: %v", g.Name.Text(p.Locale()), err)
		}
	}
	if got["one more like Dinghy"] != "b" || got["the next bigger than Quad, 390 kg"] != "q" || len(got) != 2 {
		t.Errorf("%v", got)
	}
}

// A trip of loose material is a share of it, whatever its amount is stated in.
func TestTrips(t *testing.T) {
	for _, bulk := range []string{
		`{"material":"sand","by":"volume","volume":{"value":0.6,"plusMinus":0,"how":"weighed"},"wet":"dry"}`,
		`{"material":"sand","by":"level","wet":"dry"}`,
		`{"material":"sand","by":"heaped","wet":"dry"}`,
		`{"material":"sand","by":"scoops","count":4,"volume":{"value":0.15,"plusMinus":0,"how":"typical"},"wet":"dry"}`,
		`{"material":"sand","by":"bulk-bags","count":4,"volume":{"value":0.15,"plusMinus":0,"how":"typical"},"wet":"dry"}`,
		`{"material":"sand","by":"bags","count":36,"each":{"value":25,"plusMinus":0,"how":"plate"}}`,
	} {
		p := sample.Plan(t, "/loads/crate/mass", "-", "/loads/crate/size", `{}`, "/loads/crate/centre", `{}`, sample.Crate+"/at/back", `0`, "/trailers/t/sideHeight", `0.2`, "/loads/crate/bulk", bulk,
			"/loads/crate/kind", `"heap"`, "/ballSchool", `"about-ten"`)
		x := one(t, study.Compare(context.Background(), p, review.Request{}, true), "t")
		if x.Outcome != finding.Fails {
			t.Errorf("%s: %s", bulk, x.Outcome)
			continue
		}
		if x.Back == nil || !strings.Contains(x.Back.Name.Text(p.Locale()), "trips") {
			t.Errorf("%s: %+v", bulk, x.Back)
		}
	}
}
