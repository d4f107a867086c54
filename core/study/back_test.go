package study_test

import (
	"context"
	"strings"
	"testing"

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
