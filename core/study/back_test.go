package study_test

import (
	"context"
	"strings"
	"testing"

	"zygonos/core/ask/balance"
	"zygonos/core/internal/sample"
	"zygonos/core/lang/finding"
	"zygonos/core/plan"
	"zygonos/core/review"
	"zygonos/core/study"
)

// Two crates that are too heavy together, the second so light and so far back that a trip
// with it alone lifts the ball: two trips are no way back, whatever the heavy one's verdict.
func TestEveryTripHolds(t *testing.T) {
	second := func(mass, back string) string {
		return `{"order":2,"name":"Second","kind":"quad","mass":{"value":` + mass + `,"plusMinus":0,"how":"weighed"},"size":{"length":{"value":0.5,"how":"weighed"},"width":{"value":0.5,"how":"weighed"},"height":{"value":0.5,"how":"weighed"}},"centre":{"back":{"value":0.25,"how":"weighed"}}}`
	}
	for _, c := range []struct {
		back  string
		pins  bool
		trips bool
	}{{"1.2", false, true}, {"2.2", true, false}} {
		p := sample.Plan(t, "/loads/crate/kind", `"quad"`, "/loads/second", second("120", c.back),
			"/outings/o/layouts/t/placements/second", `{"on":"deck","at":{"back":`+c.back+`}}`, "/trailers/t/couplingToDeck/value", `1.0`)
		if c.pins {
			pl := p.Outings["o"].Layouts["t"].Placements["second"]
			pl.Pinned = true
			p.Outings["o"].Layouts["t"].Placements["second"] = pl
		}
		x := one(t, study.Compare(context.Background(), p, review.Request{}, true), "t")
		name := ""
		if x.Back != nil {
			name = x.Back.Name.Text(p.Locale())
		}
		if got := strings.Contains(name, "2 trips"); got != c.trips {
			t.Errorf("second at %s: %q (%s)", c.back, name, x.Worst.Text(p.Locale()))
		}
	}
}

// A car of which nothing is stated brings no trailer back: what failed would not hold, it would not be known.
func TestBackTakesNoCarThatIsNotKnown(t *testing.T) {
	sets := []string{"/towVehicles/car/towUnbraked", `300`, "/loads/crate/kind", `"quad"`, "/towVehicles/car/towBraked", `300`}
	for _, c := range []struct {
		car  string
		back bool
	}{{`{"order":2,"name":"Unknown van"}`, false}, {`{"order":2,"name":"Van","kerb":{"value":1600,"plusMinus":0,"how":"plate"},"gross":2300,"train":4000,"towBraked":2000,"towUnbraked":750,"ballLimit":100,"hitchTow":1300,"hitchBall":80,"ballSize":0.05}`, true}} {
		p := sample.Plan(t, append(sets, "/towVehicles/van", c.car)...)
		x := one(t, study.Compare(context.Background(), p, review.Request{}, true), "t")
		name := ""
		if x.Back != nil {
			name = x.Back.Name.Text(p.Locale())
		}
		if x.Outcome != finding.Fails || strings.Contains(name, "behind ") != c.back {
			t.Errorf("%s: %s, %q (%s)", c.car, x.Outcome, name, x.Worst.Text(p.Locale()))
		}
	}
}

// A way out that mends this outing and breaks another says so: with less sand a trip, the outing that
// carries the same sand with a heavy box on the tail has too little on the ball: 20 + 200·0.5/2.5 − 130·0.8/2.5 =
// 18.4 of 580 kg, where it had 58.4 of 780.
func TestFixesSayWhatElseFails(t *testing.T) {
	p := sample.Plan(t, "/trailers/t/label/value", `600`,
		"/loads/tail", `{"order":2,"name":"Tail box","kind":"other","mass":{"value":130,"plusMinus":0,"how":"weighed"},"size":{"length":{"value":0.4,"how":"weighed"},"width":{"value":0.4,"how":"weighed"},"height":{"value":0.4,"how":"weighed"}},"centre":{}}`,
		"/outings/b", `{"order":2,"name":"Tail day","vehicle":"car","layouts":{"t":{"placements":{"crate":{"on":"deck","at":{"back":0.5}},"tail":{"on":"deck","at":{"back":2.1}}}}}}`)
	rep := study.Settled(context.Background(), p, review.Request{Outing: "o", Trailer: "t"})
	fails := 0
	for i := range rep.Findings {
		for _, x := range rep.Findings[i].Fixes {
			name := x.Name.Text(p.Locale())
			next, err := plan.Apply(p, x.Patch)
			if err != nil {
				t.Fatal(err)
			}
			was := sample.Find(t, review.Again(p, review.Request{Outing: "b", Trailer: "t"}).Findings, balance.CodeWindow).Outcome
			is := sample.Find(t, review.Again(next, review.Request{Outing: "b", Trailer: "t"}).Findings, balance.CodeWindow).Outcome
			if was == finding.Fails || is != finding.Fails {
				continue
			}
			if fails++; !strings.Contains(name, ". Then Tail day fails: ") {
				t.Errorf("%s: nothing is said of the other day", name)
			}
		}
	}
	if fails == 0 {
		t.Error("no way out was made to break the other day")
	}
}

// Setting the axle for all outings is offered with what it makes fail: here the car's rear axle,
// which with a heavier ball comes over 790 kg.
func TestAxleWarns(t *testing.T) {
	p := sample.Plan(t, "/trailers/t/axleMoves", `{"min":2.2,"max":2.9,"pitch":0.05}`, "/trailers/t/runningGear", `{"value":60,"plusMinus":0,"how":"weighed"}`,
		"/outings/o/layouts/t/axleAt", `2.4`, "/towVehicles/car/rearLimit", `790`)
	a := study.PlaceAxle(context.Background(), p, "t")
	if a.Fix == nil {
		t.Fatal("no fix")
	}
	next, err := plan.Apply(p, a.Fix.Patch)
	if err != nil {
		t.Fatal(err)
	}
	before, after := review.Again(p, review.Request{}), review.Again(next, review.Request{})
	news := false
	was := map[string]finding.Outcome{}
	for _, f := range before.Findings {
		was[f.Key()] = f.Outcome
	}
	for _, f := range after.Findings {
		news = news || f.Outcome == finding.Fails && !f.Compares && was[f.Key()] != finding.Fails
	}
	if !news {
		t.Fatal("nothing new fails: the test tests nothing")
	}
	if said := strings.Contains(a.Fix.Name.Text(p.Locale()), "fails: "); said != news {
		t.Errorf("it makes something fail: %t, and says %q", news, a.Fix.Name.Text(p.Locale()))
	}
}
