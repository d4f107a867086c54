package review_test

import (
	"fmt"
	"math"
	"math/rand/v2"
	"testing"

	"zygonos/core/internal/sample"
	"zygonos/core/lang/finding"
	"zygonos/core/lang/scene"
	"zygonos/core/plan"
	"zygonos/core/review"
)

func zoneOf(rep *review.Report, thing string) *scene.Zone {
	for _, v := range rep.Views {
		for i := range v.Handles {
			if h := &v.Handles[i]; h.Thing == thing && h.Zone != nil {
				return h.Zone
			}
		}
	}
	return nil
}

// The sample's crate: ball 60 kg, window 32.5 to 75 (the car's limit), 400/2.5 = 160
// kg a metre: 15/160 = 94 mm forward, 27.5/160 = 172 mm back. The car's rear axle,
// axle and tyres have more room.
func TestZoneByHand(t *testing.T) {
	rep := review.Review(sample.Plan(t), review.Request{})
	z := zoneOf(rep, "/loads/crate")
	if z == nil {
		t.Fatal("no zone")
	}
	if math.Abs(z.From-(1.75-15.0/160)) > 1e-9 || math.Abs(z.To-(1.75+27.5/160)) > 1e-9 || z.Length != 1 {
		t.Errorf("%+v", z)
	}
	// An axle rated 600 kg leaves 10/160 = 62.5 mm back.
	z = zoneOf(review.Review(sample.Plan(t, "/trailers/t/axleRating", `600`), review.Request{}), "/loads/crate")
	if z == nil || math.Abs(z.To-(1.75+10.0/160)) > 1e-9 {
		t.Errorf("%+v", z)
	}
	// A pinned load has none, nor one that no place suits.
	if z := zoneOf(review.Review(sample.Plan(t, sample.Crate+"/pinned", `true`), review.Request{}), "/loads/crate"); z != nil {
		t.Errorf("pinned: %+v", z)
	}
	if z := zoneOf(review.Review(sample.Plan(t, "/towVehicles/car/ballLimit", `10`), review.Request{}), "/loads/crate"); z != nil {
		t.Errorf("no window: %+v", z)
	}
}

// Placed at either end of its zone nothing that depends on its place fails; a
// little beyond, something does. Tried over random rigs.
func TestZoneEnds(t *testing.T) {
	r := rand.New(rand.NewPCG(41, 42))
	tried := 0
	for range 150 {
		sets := []string{
			"/loads/crate/mass/value", fmt.Sprint(150 + 300*r.Float64()), "/trailers/t/axleRating", fmt.Sprint(400 + 300*r.Float64()),
			"/towVehicles/car/ballLimit", fmt.Sprint(40 + 60*r.Float64()), "/towVehicles/car/rearLimit", fmt.Sprint(760 + 100*r.Float64()), "/trailers/t/tyreIndex", fmt.Sprint(60 + r.IntN(15)),
			"/trailers/t/deckLength/value", `6`,
		}
		p := sample.Plan(t, sets...)
		rep := review.Review(p, review.Request{})
		z := zoneOf(rep, "/loads/crate")
		if z == nil {
			continue
		}
		for _, c := range []struct {
			at    float64
			fails bool
		}{{z.From + 1e-6, false}, {z.To - 1e-6, false}, {z.From - 0.003, true}, {z.To + 0.003, true}} {
			back := c.at - 1.0
			if back < 0 || back > 5 {
				continue // the deck's own end
			}
			tried++
			again := review.Review(sample.Plan(t, append(sets, sample.Crate+"/at/back", fmt.Sprint(back))...), review.Request{})
			if got := placeFails(again); got != c.fails {
				t.Errorf("%v: near face at %v, zone %+v: fails %v", sets, c.at, *z, got)
			}
		}
	}
	if tried < 100 {
		t.Errorf("only %d places were tried", tried)
	}
}

// placeFails reports a failing check that depends on where the load stands; a ball load over what is usual counts.
func placeFails(rep *review.Report) bool {
	for i := range rep.Chain {
		switch l := &rep.Chain[i]; l.Reads {
		case "wheels", "side", "ball", "car", "rear":
			if l.Outcome == finding.Fails {
				return true
			}
		}
	}
	for i := range rep.Findings {
		if f := &rep.Findings[i]; f.Code == "balance.ball-window" && (f.Outcome == finding.Fails || f.Margin != nil && *f.Margin < 0) {
			return true
		}
	}
	return false
}

// A load may be put on the deck, in a part's slot, or on another load, but not
// on what stands on it.
func TestCarriers(t *testing.T) {
	at := "/outings/o/layouts/t/placements/"
	p := sample.Plan(t, "/loads/lid", `{"order":2,"name":"Lid","mass":{"value":10,"how":"weighed"},"size":{},"centre":{}}`, at+"lid", `{"on":"load","id":"crate","at":{"back":0}}`,
		"/parts/rack", `{"order":1,"name":"Rack","mass":{"value":30,"how":"weighed"},"size":{},"centre":{},"slots":{"top":{"order":1,"name":"top","at":{"back":0,"up":1}}}}`,
		"/outings/o/layouts/t/parts", `{"rack":{"at":{"back":0}}}`)
	carriers := map[string][]string{}
	for _, th := range review.Review(p, review.Request{}).Things {
		for _, c := range th.Carriers {
			carriers[th.Name] = append(carriers[th.Name], string(c.On)+" "+c.ID+" "+c.Slot)
		}
	}
	want := map[string]string{"Crate": "[deck   part rack top]", "Lid": "[deck   part rack top load crate ]"}
	for name, w := range want {
		if got := fmt.Sprint(carriers[name]); got != w {
			t.Errorf("%s: %q, want %q", name, got, w)
		}
	}
	if len(carriers["Rack"]) != 0 {
		t.Error("a part is fitted, not put on")
	}
	// Put there, the plan stays clean.
	next, err := plan.Apply(p, []finding.Op{{Op: "replace", Path: at + "lid", Value: plan.Placement{On: plan.OnPart, ID: "rack", Slot: "top"}}})
	if err != nil || len(plan.Clean(next)) > 0 {
		t.Error(err)
	}
}
