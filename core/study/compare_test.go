package study_test

import (
	"context"
	"math"
	"reflect"
	"slices"
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

func heather(t testing.TB) *plan.Plan {
	return sample.Demo(t, "heather-hives")
}

func one(t *testing.T, c *study.Comparison, id string) study.Candidate {
	t.Helper()
	for _, x := range c.Candidates {
		if x.ID == id {
			return x
		}
	}
	t.Fatalf("no candidate %s", id)
	return study.Candidate{}
}

// What does it is tried. Deck from 1.5 m: crate 400 kg with its middle at 3.5 m, sack 100 kg at 2.2 m: the ball bears
// 20 − 160 + 12 = −128 kg; there are 100 mm to slide in. Changed places, at 2.0 and 3.3 m: 20 + 80 − 32 = 68 kg, in the
// window of 37.5 to 75. An axle that may go 100 mm back is moved where that does it and not named where it does not: crate
// alone at 3.0 m −60 kg; R = 570 − (230·2.5 + 400·3)/L = 570 − 1775/2.6 < 0.
func TestMoveIntoWindow(t *testing.T) {
	says := func(sets ...string) string {
		p := sample.Plan(t, sets...)
		c := study.Compare(context.Background(), p, review.Request{}, false)
		return one(t, c, "t").Outings[0].Move.Text(p.Locale())
	}
	sack := `{"order":2,"name":"Sack","mass":{"value":100,"plusMinus":0,"how":"weighed"},"size":{"length":{"value":1.4,"plusMinus":0,"how":"weighed"},"width":{"value":0.8,"how":"weighed"}},"centre":{"back":{"value":0.7,"plusMinus":0,"how":"weighed"}}}`
	at := "/outings/o/layouts/t/placements/"
	two := []string{"/trailers/t/couplingToDeck/value", `1.5`, "/loads/sack", sack, at + "sack", `{"on":"deck","at":{"back":0}}`, sample.Crate + "/at/back", `1.5`}
	if got := says(two...); !strings.Contains(got, "swap") {
		t.Errorf("two that may change places: %q", got)
	}
	if got := says(append(two, sample.Crate+"/pinned", `true`, at+"sack/pinned", `true`)...); got != "no move was found that does it" {
		t.Errorf("two that are pinned: %q", got)
	}
	// Before buying it is the trailer that is judged: moved where that can be done, and stated; against it where not.
	misses := func(b *study.Buying) bool {
		return slices.ContainsFunc(b.Open, func(f finding.Finding) bool { return f.Code == balance.CodeWindow })
	}
	if b := study.Buy(context.Background(), sample.Plan(t, two...), "t"); misses(b) || len(b.Moved) != 1 || b.Moved[0].ID != "o" {
		t.Errorf("before buying, two that may change places: %+v", b.Moved)
	}
	if b := study.Buy(context.Background(), sample.Plan(t, append(two, sample.Crate+"/pinned", `true`, at+"sack/pinned", `true`)...), "t"); !misses(b) || len(b.Moved) > 0 {
		t.Errorf("before buying, two that are pinned: %+v", b.Moved)
	}
	far := []string{sample.Crate + "/pinned", `true`, sample.Crate + "/at/back", `1.5`, "/trailers/t/axleMoves", `{"min":2.4,"max":2.6,"pitch":0}`}
	if got := says(far...); got != "no move was found that does it" {
		t.Errorf("an axle that cannot go far enough: %q", got)
	}
	if got := says(append(far, "/trailers/t/axleMoves/max", `3.5`)...); !strings.Contains(got, "move the axle") {
		t.Errorf("an axle that can: %q", got)
	}
}

// The crate at 1.2 m: x = 2.7, ball 20 − 400·0.2/2.5 = −12 kg. The window of 5 to
// 15 % of 650 kg, capped at 75, has its middle at 53.75: the crate must go
// (−12 − 53.75)·2.5/400 = −0.4109 m, to 410 mm forward.
func TestShift(t *testing.T) {
	p := sample.Plan(t, sample.Crate+"/at/back", `1.2`)
	d, patch, reached := study.Shift(rig.Resolve(p, "t", "o"))
	if math.Abs(d+0.41) > 1e-9 || !reached || len(patch) != 1 || patch[0].Value != 0.79 {
		t.Errorf("%v %v %v", d, patch, reached)
	}
	// A stack slides as one: 50 kg on the crate and 50 on those, all named alike and
	// with their middles over the crate's, make 500 kg.
	box := `{"order":2,"name":"Crate","mass":{"value":50,"plusMinus":0,"how":"weighed"},"size":{"length":{"value":1,"plusMinus":0,"how":"weighed"}},"centre":{"back":{"value":0.5,"plusMinus":0,"how":"weighed"}}}`
	at := "/outings/o/layouts/t/placements/"
	p = sample.Plan(t, sample.Crate+"/at/back", `1.2`, "/loads/b", box, "/loads/c", box, at+"b", `{"on":"load","id":"crate","at":{"back":0}}`, at+"c", `{"on":"load","id":"b","at":{"back":0}}`)
	// Ball 20 − 500·0.2/2.5 = −20; window 37.5 (5 % of 750) to 75, middle 56.25: −76.25·2.5/500 = −0.381.
	if d, patch, _ := study.Shift(rig.Resolve(p, "t", "o")); math.Abs(d+0.38) > 1e-9 || len(patch) != 1 {
		t.Errorf("stack: %v %v", d, patch)
	}
	// A pinned crate goes nowhere; a short deck does not reach.
	if _, _, ok := study.Shift(rig.Resolve(sample.Plan(t, sample.Crate+"/pinned", `true`), "t", "o")); ok {
		t.Error("pinned, and slid")
	}
	_, _, reached = study.Shift(rig.Resolve(sample.Plan(t, "/trailers/t/couplingToDeck/value", `3`, "/trailers/t/deckLength/value", `1.1`), "t", "o"))
	if reached {
		t.Error("a crate far behind the axle cannot reach the window")
	}
}

func TestLay(t *testing.T) {
	other := `{"order":2,"name":"Other","couplingToAxle":{"value":2,"plusMinus":0,"how":"weighed"},"couplingToDeck":{"value":1,"plusMinus":0,"how":"weighed"},"deckLength":{"value":1.2,"how":"weighed"},"label":{"value":750,"counts":"gross"},"empty":{"mass":{"value":150,"how":"plate"}}}`
	p := sample.Plan(t, "/trailers/other", other)
	if ops := study.Lay(p, "t", "o"); len(ops) != 0 {
		t.Errorf("everything has its place: %v", ops)
	}
	ops := study.Lay(p, "other", "o")
	laid, err := plan.Apply(p, ops)
	if err != nil || len(plan.Clean(laid)) > 0 {
		t.Fatal(err)
	}
	// 0.75 m on the long deck, kept to 1.2 − 1.0 on the short one.
	if back := laid.Outings["o"].Layouts["other"].Placements["crate"].At.Back; math.Abs(float64(back)-0.2) > 1e-9 {
		t.Errorf("laid at %v", back)
	}
	if len(study.Lay(laid, "other", "o")) != 0 {
		t.Error("laid twice")
	}
}

// The demo's six: what the plan's story says of each.
func TestCompare(t *testing.T) {
	p := heather(t)
	before, _ := plan.Write(p)
	c := study.Compare(context.Background(), p, review.Request{}, true)
	if after, _ := plan.Write(p); string(before) != string(after) {
		t.Error("the comparison changed the plan")
	}
	if len(c.Candidates) != 6 || len(c.Outings) != 2 || len(c.Wants) != 9 {
		t.Fatalf("%d candidates, %d outings, %d wants", len(c.Candidates), len(c.Outings), len(c.Wants))
	}
	for _, w := range []struct {
		id       string
		outcome  finding.Outcome
		money    float64
		unbeaten bool
		back     string
	}{
		{"low-kit", finding.Unknown, 640*1.19 + 35 + 95 + 85 + 45 + 40, true, ""},
		{"high-box", finding.Fails, 790 + 60 + 95 + 15, false, "carry 200 kg of Sugar, 16 sacks a trip, 2 trips alike"},
		{"alder-flat", finding.Fails, 1340 + 90 + 95 + 40, false, "for €1275 at most"},
		{"old-tipper", finding.Unknown, 820 + 40 + 40 + 110 + 45 + 30, true, ""},
		{"camper-frame", finding.Fails, 180 + 30 + 160 + 140 + 60 + 70, false, ""},
		{"tiny-box", finding.Fails, 430 + 95, false, "carry 200 kg of Sugar, 16 sacks a trip, 2 trips alike"},
	} {
		x := one(t, c, w.id)
		back := ""
		if x.Back != nil {
			back = x.Back.Name.Text(p.Locale())
		}
		if x.Outcome != w.outcome || math.Abs(float64(x.Bill.Money)-w.money) > 0.01 || x.Unbeaten != w.unbeaten || back != w.back {
			t.Errorf("%s: %s, %v, unbeaten %t, back %q (%s)", w.id, x.Outcome, x.Bill.Money, x.Unbeaten, back, x.Worst.Text(p.Locale()))
		}
		if x.View == nil || x.View.Min != c.Candidates[0].View.Min || x.View.Max != c.Candidates[0].View.Max {
			t.Errorf("%s is drawn to another scale", w.id)
		}
		// What is stated of a candidate is what a review of the laid plan says.
		laid, err := plan.Apply(p, x.Lays)
		if err != nil || len(plan.Clean(laid)) > 0 {
			t.Fatalf("%s: %v", w.id, err)
		}
		for _, o := range x.Outings {
			rep := review.Again(laid, review.Request{Outing: o.ID, Trailer: w.id})
			if rep.Payload != nil && (o.Payload == nil || rep.Payload.Mass.Value != o.Payload.Value) {
				t.Errorf("%s, %s: payload %v in the comparison, %v in review", w.id, o.ID, o.Payload, rep.Payload.Mass.Value)
			}
		}
	}
	if !reflect.DeepEqual(c, study.Compare(context.Background(), heather(t), review.Request{}, true)) {
		t.Error("the same plan, another answer")
	}
	if got := study.Compare(context.Background(), &plan.Plan{}, review.Request{}, true); len(got.Candidates) != 0 {
		t.Error("candidates out of nothing")
	}
}

// The one thing that brings a trailer back. 800 kg of gravel on one of 750 gross:
// 750·0.95 − 250 = 462.5 at most a trip, so two of 400 kg.
func TestBack(t *testing.T) {
	for _, c := range []struct {
		want string
		sets []string
	}{
		{"carry 400 kg of Crate a trip, 2 trips alike", []string{"/loads/crate/mass/value", `800`, "/loads/crate/bulk", `{"material":"gravel","by":"mass"}`, "/towVehicles/car/towUnbraked", `1200`}},
		{"with a plug adapter", []string{"/towVehicles/car/socket", `"pin-7"`, "/trailers/t/plug", `"pin-13"`}},
		{"with a coupling head for 50 mm", []string{"/trailers/t/couplingSize", `0.0508`}},
		{"at 80 km/h", []string{"/trailers/t/tyreSymbol", `"F"`, "/outings/o/speed", `25`, "/outings/o/road", `"motorway"`}},
		{"with tyres for 400 kg each", []string{"/trailers/t/tyreIndex", `62`, "/loads/crate/kind", `"quad"`}}, // 265 kg each for 590
		{"behind Van", []string{"/towVehicles/car/towUnbraked", `600`, "/towVehicles/car/towBraked", `600`, "/loads/crate/kind", `"quad"`,
			"/towVehicles/van", `{"order":2,"name":"Van","kerb":{"value":1900,"how":"plate"},"gross":3000,"towUnbraked":750,"ballLimit":100,"hitchTow":2000,"ballSize":0.05}`}},
		{"with 600 mm longer drawbar", []string{"/towVehicles/car/gateReach", `1.3`, sample.Crate + "/pinned", `true`, sample.Crate + "/at/back", `-0.3`, "/loads/crate/size/length/value", `3`, "/loads/crate/centre/back/value", `1.4`}},
	} {
		p := sample.Plan(t, c.sets...)
		x := one(t, study.Compare(context.Background(), p, review.Request{}, true), "t")
		if x.Back == nil {
			t.Errorf("%s: nothing brings it back (%s)", c.want, x.Worst.Text(p.Locale()))
			continue
		}
		if got := x.Back.Name.Text(p.Locale()); !strings.HasPrefix(got, c.want) {
			t.Errorf("got %q, want %q", got, c.want)
		}
		patched, err := plan.Apply(p, append(x.Lays, x.Back.Patch...))
		if err != nil || review.Review(patched, review.Request{}).Headline.Outcome == finding.Fails {
			t.Errorf("%s: it still fails", c.want)
		}
	}
}

// A load to one side uses that side's tyre most, and that is what the table tells: of 630 kg on the wheels 400 stand
// 0.3 m aside on a track of 1.6, so the one bears 315 + 75 of 500 kg.
func TestTyresBySide(t *testing.T) {
	p := sample.Plan(t, sample.Crate+"/at/right", `0.3`, sample.Crate+"/at/back", `0.75`)
	r := rig.Resolve(p, "t", "o")
	want := (r.Bears.OnAxle.Nominal/2 + 400*0.3/1.6) / 500
	got := one(t, study.Compare(context.Background(), p, review.Request{}, false), "t").Outings[0].TyreUsed
	if got == nil || math.Abs(got.Value-want) > 1e-9 {
		t.Errorf("%+v, by hand %v", got, want)
	}
}

func TestTows(t *testing.T) {
	for _, x := range study.Tows(context.Background(), sample.Plan(t, "/outings", `{}`)) {
		if x.Outcome != finding.Unknown || len(x.Says) == 0 {
			t.Errorf("without an outing: %+v", x)
		}
	}
	tows := study.Tows(context.Background(), heather(t))
	if len(tows) != 12 {
		t.Fatalf("%d pairs", len(tows))
	}
	for _, x := range tows {
		switch x.Vehicle + " " + x.Trailer {
		case "bee-van old-tipper":
			if x.Outcome != finding.Unknown || x.BallSize != finding.Holds || x.Plug != finding.Holds {
				t.Errorf("%+v", x)
			}
		case "field-buggy old-tipper": // a 2 in ball before a 50 mm coupling
			if x.Outcome != finding.Fails || x.BallSize != finding.Fails {
				t.Errorf("%+v", x)
			}
		}
	}
}

func TestBuy(t *testing.T) {
	p := heather(t)
	b := study.Buy(context.Background(), p, "old-tipper")
	if b.Outcome != finding.Unknown || len(b.Open) != 1 || b.Open[0].Code != "towing.link.hitch" || b.Holds+1 != b.Of {
		t.Errorf("%s, %d of %d: %+v", b.Outcome, b.Holds, b.Of, b.Open)
	}
	b = study.Buy(context.Background(), p, "camper-frame")
	codes := map[string]bool{}
	for _, f := range b.Open {
		if f.Outcome == finding.Fails {
			codes[f.Code+f.Subject] = true
		}
	}
	if b.Outcome != finding.Fails || !codes["trailer.papers/trailers/camper-frame/papers"] || !codes["job.must/wants/barn"] || !codes["job.must/wants/skills"] {
		t.Errorf("%s: %v", b.Outcome, codes)
	}
	if b := study.Buy(context.Background(), p, "nowhere"); b.Outcome != finding.Unknown {
		t.Errorf("%+v", b)
	}
	// The gravel of the sample, soaked: 400·(1700+2000)/(1500+1700) = 462.5 kg.
	s := sample.Plan(t, "/loads/crate/bulk", `{"material":"gravel","by":"mass"}`)
	g := study.Buy(context.Background(), s, "t").Growth
	if len(g) != 1 || g[0].Name.Text(s.Locale()) != "Crate wet" {
		t.Fatalf("%+v", g)
	}
	// 462.5 + 250 = 712.5 of the car's 700 without brakes.
	if g[0].Outcome != finding.Fails || !strings.Contains(g[0].Says.Text(s.Locale()), "713 kg of 700 kg") {
		t.Errorf("wet: %s %q", g[0].Outcome, g[0].Says.Text(s.Locale()))
	}
}

// An outing to be carried is judged when settled, and a must that fails shows
// in the headline.
func TestSettledWants(t *testing.T) {
	p := sample.Plan(t, "/wants", `{"a":{"order":1,"what":"carry","outing":"o"},"b":{"order":2,"what":"floor"}}`, "/trailers/t/floor", `"open"`)
	rep := study.Settled(context.Background(), p, review.Request{})
	if rep.Wants[0].Outcome == finding.Unknown || rep.Headline.Outcome != finding.Fails || rep.Stages[0].Outcome != finding.Fails {
		t.Errorf("%s %s %v", rep.Wants[0].Outcome, rep.Headline.Outcome, rep.Stages)
	}
}
