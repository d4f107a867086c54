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
	"zygonos/core/rig"
	"zygonos/core/study"
)

// The boats of the demo: every way offered applies, carries them without a failing
// rack, and says what it weighs.
func TestPlanRacks(t *testing.T) {
	p := sample.Demo(t, "skarrow-hut")
	q := review.Request{Outing: "boat-day"}
	a := study.PlanRacks(context.Background(), p, q)
	if a.Hulls != 3 || len(a.Options) < 2 {
		t.Fatalf("%d hulls, %d ways: %s", a.Hulls, len(a.Options), a.Says.Text(p.Locale()))
	}
	for _, o := range a.Options {
		next, err := plan.Apply(p, o.Patch)
		if err != nil {
			t.Fatal(err)
		}
		r := rig.Resolve(next, "grey-flatbed", "boat-day")
		if len(o.Home) > 0 || balance.Misses(r) {
			t.Errorf("%s: %v stay at home, ball %v", o.Kind, o.Home, r.Bears.Ball.Nominal)
		}
		for i := range review.Again(next, q).Findings {
			if f := &review.Again(next, q).Findings[i]; f.Stage == "racks" && f.Outcome == finding.Fails {
				t.Errorf("%s: %s", o.Kind, f.Says.Text(p.Locale()))
			}
		}
		for i := range r.Items {
			for k := range i {
				x, y := &r.Items[i], &r.Items[k]
				if !x.Part && !y.Part && x.Overlaps(y) && x.Front < y.Rear && y.Front < x.Rear {
					t.Errorf("%s: %s lies in %s", o.Kind, x.Name, y.Name)
				}
			}
		}
	}
}

// What the owner read stays; tiers clear a chest that stands on the deck.
func TestRacksKeepWhatIsThere(t *testing.T) {
	p := sample.Demo(t, "skarrow-hut")
	at := "/outings/boat-day/layouts/grey-flatbed/"
	p, err := plan.Apply(p, []finding.Op{{Op: "add", Path: at + "readings", Value: map[string]any{"ball": map[string]any{"order": 1, "what": "ball", "mass": 31}}},
		{Op: "add", Path: at + "placements/tool-chest", Value: plan.Placement{On: plan.OnDeck, At: plan.Spot{Back: 1.2}}}})
	if err != nil {
		t.Fatal(err)
	}
	a := study.PlanRacks(context.Background(), p, review.Request{Outing: "boat-day"})
	if len(a.Options) == 0 {
		t.Fatal(a.Says.Text(p.Locale()))
	}
	for _, o := range a.Options {
		next, err := plan.Apply(p, o.Patch)
		if err != nil || len(next.Outings["boat-day"].Layouts["grey-flatbed"].Readings) != 1 {
			t.Errorf("%s: the reading is gone, %v", o.Kind, err)
			continue
		}
		f := sample.Find(t, review.Again(next, review.Request{Outing: "boat-day"}).Findings, "rack.room")
		if f.Outcome == finding.Fails {
			t.Errorf("%s: %s", o.Kind, f.Says.Text(p.Locale()))
		}
	}
}

func TestRacksThatCannotBe(t *testing.T) {
	hull := func(w string) []string {
		return []string{"/loads/crate/kind", `"canoe"`, "/loads/crate/size/width/value", w, "/loads/crate/size/length/value", "4", "/trailers/t/deckHeight", `{"value":0.6,"how":"weighed"}`}
	}
	for name, c := range map[string]struct {
		sets []string
		says string
	}{
		"too wide": {hull("2.7"), "2700 mm wide and 2550 mm is allowed"},
		"no hulls": {nil, "No hulls in this outing"},
		"no deck":  {append(hull("0.9"), "/trailers/t/deckLength", "-"), "Not known yet: enter the deck's length."},
		"too high": {append(hull("0.9"), "/loads/crate/size/height/value", "2.2"), "No rack below 2600 mm"},
	} {
		p := sample.Plan(t, c.sets...)
		if a := study.PlanRacks(context.Background(), p, review.Request{Outing: "o", Trailer: "t"}); len(a.Options) != 0 || !strings.Contains(a.Says.Text(p.Locale()), c.says) {
			t.Errorf("%s: %q", name, a.Says.Text(p.Locale()))
		}
	}
}

// A rack on bolts of which nothing is stated is no way that holds.
func TestKeptRackThatIsNotKnown(t *testing.T) {
	at := "/outings/boat-day/layouts/grey-flatbed/placements/"
	p, err := plan.Apply(sample.Demo(t, "skarrow-hut"), []finding.Op{
		{Op: "add", Path: "/parts/boat-rack/rack/foot", Value: plan.FootBolted},
		{Op: "remove", Path: at + "skiff"}, {Op: "remove", Path: at + "green-canoe"},
	})
	if err != nil {
		t.Fatal(err)
	}
	kept := false
	for _, o := range study.PlanRacks(context.Background(), p, review.Request{Outing: "boat-day"}).Options {
		if o.Kind != "kept" {
			continue
		}
		if kept = true; o.Outcome != finding.Unknown && o.Outcome != finding.Fails {
			t.Errorf("%s", o.Outcome)
		}
	}
	if !kept {
		t.Error("the rack that is there is not offered")
	}
}

// Bars that fail are offered the next section up and a mid post, judged.
func TestStrongerBars(t *testing.T) {
	p := sample.Demo(t, "skarrow-hut")
	p, err := plan.Apply(p, []finding.Op{{Op: "replace", Path: "/parts/boat-rack/rack/bar", Value: plan.Profile{Shape: "tube", Height: 0.016, Width: 0.016, Wall: 0.001, Material: "mild"}}})
	if err != nil {
		t.Fatal(err)
	}
	rep := study.Settled(context.Background(), p, review.Request{Outing: "boat-day"})
	f := sample.Find(t, rep.Findings, "rack.bar")
	if f.Outcome != finding.Fails || len(f.Fixes) == 0 || !strings.Contains(f.Fixes[0].Name.Text(p.Locale()), "30 mm × 30 mm") {
		t.Errorf("%s %+v", f.Outcome, f.Fixes)
	}
}

// The way with the fewest hulls at home comes first; what is offered does not depend
// on the order in which hulls were stated.
func TestRacksAreAlikeWhateverTheOrder(t *testing.T) {
	height := func(first, second int) []float64 {
		p := sample.Demo(t, "skarrow-hut")
		red, green := p.Loads["red-canoe"], p.Loads["green-canoe"]
		red.Order, green.Order = first, second
		p.Loads["red-canoe"], p.Loads["green-canoe"] = red, green
		var out []float64
		for _, o := range study.PlanRacks(context.Background(), p, review.Request{Outing: "boat-day"}).Options {
			out = append(out, o.Figures[1].Then.Value, o.Figures[2].Then.Value)
		}
		return out
	}
	a, b := height(4, 5), height(5, 4)
	if len(a) == 0 || len(a) != len(b) {
		t.Fatalf("%v, %v", a, b)
	}
	for i := range a {
		if a[i] != b[i] {
			t.Errorf("%v, the other way %v", a, b)
		}
	}
}

func BenchmarkPlanRacks(b *testing.B) {
	p := sample.Plan(b, "/loads/crate", "-", sample.Crate, "-", "/trailers/t/deckHeight", `{"value":0.6,"how":"weighed"}`)
	for _, id := range []string{"a", "b", "c", "d", "e", "f", "g", "h"} {
		l := plan.Load{Name: id, Kind: "kayak"}
		l.Mass = &plan.MassEstimate{Value: 25, How: plan.Weighed}
		p.Loads[id] = l
		p.Outings["o"].Layouts["t"].Placements[id] = plan.Placement{On: plan.OnDeck}
	}
	for b.Loop() {
		study.PlanRacks(context.Background(), p, review.Request{Outing: "o", Trailer: "t"})
	}
}

// A rack that the plan has, and that takes the hulls, is offered as it is; light hulls on
// edge make a narrower one; with prices stated each has a cost.
func TestRackWays(t *testing.T) {
	p := hut(t)
	q := review.Request{Outing: "boat-day"}
	kinds := func(p *plan.Plan) map[string]study.RackPlan {
		out := map[string]study.RackPlan{}
		for _, o := range study.PlanRacks(context.Background(), p, q).Options {
			out[o.Kind] = o
		}
		return out
	}
	of := func(o study.RackPlan, name string) *finding.Measure {
		for _, f := range o.Figures {
			if f.Name.Text(p.Locale()) == name {
				return f.Then
			}
		}
		return nil
	}
	all := kinds(p)
	edge, ok := all["edge"]
	if !ok {
		t.Fatal("no rack for hulls on edge")
	}
	next, err := plan.Apply(p, edge.Patch)
	if err != nil {
		t.Fatal(err)
	}
	r := rig.Resolve(next, "grey-flatbed", "boat-day")
	turned := 0
	for i := range r.Items {
		if it := &r.Items[i]; it.Lean > 0 {
			turned++
			// 0.9 × 0.4 m at 75°: 0.619 wide, 0.973 high; its own size may differ a little.
			if w, h := it.Right-it.Left, it.Top-it.Bottom; !(w < it.Section[0] && h > it.Section[1]) {
				t.Errorf("%s: %v wide, %v high", it.Name, w, h)
			}
		}
	}
	if turned == 0 {
		t.Error("nothing lies on edge")
	}
	if of(edge, "Stock costs") != nil {
		t.Error("a cost without a price")
	}
	// Without the skiff the two canoes go onto the rack that there is.
	light, err := plan.Apply(p, []finding.Op{{Op: "remove", Path: "/outings/boat-day/layouts/grey-flatbed/placements/skiff"}})
	if err != nil {
		t.Fatal(err)
	}
	kept, ok := kinds(light)["kept"]
	if !ok {
		t.Fatal("the rack that there is was not offered")
	}
	for _, op := range kept.Patch {
		if strings.HasPrefix(op.Path, "/parts/") {
			t.Errorf("it is changed: %s", op.Path)
		}
	}
}

// What a change adds in mass is stated, and in money where a metre's price is; another
// section costs the same for a kilogram.
func TestStrongerCosts(t *testing.T) {
	p := hut(t)
	at := "/parts/boat-rack/rack/"
	p, err := plan.Apply(p, []finding.Op{{Op: "replace", Path: at + "bar", Value: map[string]any{"shape": "tube", "height": 0.02, "width": 0.02, "wall": 0.0015, "material": "mild", "perMetre": 2.0}},
		{Op: "add", Path: at + "post/perMetre", Value: 6.0}, {Op: "replace", Path: "/outings/boat-day/road", Value: "track"}})
	if err != nil {
		t.Fatal(err)
	}
	rep := study.Settled(context.Background(), p, review.Request{Outing: "boat-day"})
	// Three bars of 1.9 m at 2 and six posts of 0.90 m (0.92 to the top, less the bar's 20 mm) at 6.
	if got, want := rep.Racks[0].Cost.Value, 3*1.9*2.0+6*0.90*6; got < want-0.05 || got > want+0.05 {
		t.Errorf("it costs %v, want %v", got, want)
	}
	for i := range rep.Findings {
		f := &rep.Findings[i]
		if f.Code != "rack.bar" && f.Code != "rack.sag" {
			continue
		}
		for _, x := range f.Fixes {
			if says := x.Name.Text(p.Locale()); !strings.Contains(says, "heavier") || !strings.Contains(says, "more") {
				t.Errorf("%q does not tell mass and cost", says)
			}
		}
	}
}
