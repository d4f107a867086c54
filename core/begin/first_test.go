package begin_test

import (
	"errors"
	"fmt"
	"math"
	"strings"
	"testing"

	"zygonos/core/begin"
	"zygonos/core/facts/catalogue"
	"zygonos/core/lang/quantity"
	"zygonos/core/plan"
	"zygonos/core/review"
)

func kg(v float64) *quantity.Mass  { w := quantity.Mass(v); return &w }
func m(v float64) *quantity.Length { l := quantity.Length(v); return &l }

// made is the plan of loads alone.
func made(t *testing.T, loads ...begin.FirstLoad) *plan.Plan {
	t.Helper()
	p, err := begin.First(&begin.FirstAnswers{
		Region: quantity.NewZealand, Units: quantity.Metric, Loads: loads,
		Kind: "kit", Axle: m(2.4), Front: m(1), Deck: m(2.4), Width: m(1.3),
	})
	if err != nil {
		t.Fatal(err)
	}
	return p
}

// What is not answered makes a plan all the same, one that a file holds as it is.
func TestFirstOfNothing(t *testing.T) {
	p := made(t,
		begin.FirstLoad{Name: "  ", Count: 3},
		begin.FirstLoad{Name: "Crushed stone", Count: 1, Kind: "heap", Material: "crushed-stone", Weight: kg(300)},
		begin.FirstLoad{Name: "fishing hulls", Count: 2},
		begin.FirstLoad{Name: "gravel", Kind: "heap"})
	if p.Name != "Load on the trailer" || len(p.Loads) != 7 {
		t.Fatalf("%q with %d loads", p.Name, len(p.Loads))
	}
	for id, want := range map[string]string{
		"load-1": "Load 1", "load-2": "Load 2", "load-4": "Crushed stone", "load-6": "fishing hull 2", "load-7": "gravel",
	} {
		if got := p.Loads[id].Name; got != want {
			t.Errorf("%s is %q, not %q", id, got, want)
		}
	}
	if b := p.Loads["load-4"].Bulk; *b != (plan.Bulk{Material: "crushed-stone", By: plan.ByMass}) {
		t.Errorf("%+v", *b)
	}
	if b := p.Loads["load-7"].Bulk; *b != (plan.Bulk{Material: "gravel", By: plan.ByLevel}) {
		t.Errorf("%+v", *b)
	}
	for id, pl := range p.Outings["first"].Layouts["trailer"].Placements {
		if pl.On != plan.OnAny {
			t.Errorf("%s stands on %q", id, pl.On)
		}
	}
	text, err := plan.Write(p)
	if err != nil {
		t.Fatal(err)
	}
	if strings.Contains(string(text), "null") {
		t.Error("a figure that nobody told is written down")
	}
	again, err := plan.Read(text)
	if err != nil {
		t.Fatal(err)
	}
	if problems := plan.Clean(again); len(problems) > 0 {
		t.Error(problems)
	}
	twice, _ := plan.Write(again)
	if string(text) != string(twice) {
		t.Error("read and written it differs")
	}
}

// So many alike are one load where they lie together, at their number times one; else so many
// loads. Worked by hand.
func TestFirstAlike(t *testing.T) {
	ten := 0.1
	p := made(t,
		begin.FirstLoad{Name: "Bags of topsoil", Kind: "bags", Count: 20, Weight: kg(18), PlusMinus: kg(1)},
		begin.FirstLoad{Name: "hives", Kind: "hive", Count: 2, Weight: kg(40), PlusMinus: kg(3)},
		begin.FirstLoad{Name: "gravel", Kind: "heap", Count: 3, Weight: kg(100), Relative: &ten})
	if len(p.Loads) != 4 {
		t.Fatalf("%d loads", len(p.Loads))
	}
	for id, want := range map[string]struct {
		name             string
		value, plusMinus float64
	}{
		"load-1": {"20 bags of topsoil", 360, 20},
		"load-2": {"hive 1", 40, 3},
		"load-3": {"hive 2", 40, 3},
		"load-4": {"gravel", 300, -1},
	} {
		l := p.Loads[id]
		if l.Name != want.name || float64(l.Mass.Value) != want.value || l.Mass.How != plan.Guessed {
			t.Errorf("%s: %q, %+v", id, l.Name, *l.Mass)
		}
		if pm := l.Mass.PlusMinus; (pm == nil) != (want.plusMinus < 0) || pm != nil && float64(*pm) != want.plusMinus {
			t.Errorf("%s: plus-minus %v", id, pm)
		}
	}
	if r := p.Loads["load-4"].Mass.Relative; r == nil || *r != 0.1 {
		t.Errorf("share %v", r)
	}
}

// Each of several has the name of one.
func TestFirstNames(t *testing.T) {
	for told, want := range map[string]string{
		"fishing hulls": "fishing hull 2", "Boxes": "Box 2", "benches": "bench 2", "hoses": "hose 2",
		"canopies": "canopy 2", "glasses": "glass 2", "bus": "bus 2", "cactus": "cactus 2", "oak": "oak 2",
		"hives (old)": "hives (old) 2", "кульки": "кульки 2",
	} {
		if got := made(t, begin.FirstLoad{Name: told, Count: 2}).Loads["load-2"].Name; got != want {
			t.Errorf("%q: %q, not %q", told, got, want)
		}
	}
	for told, want := range map[string]string{
		"Bags": "3 bags", "BMX bikes": "3 BMX bikes", "": "3 things", "2x4s": "3 2x4s",
	} {
		if got := made(t, begin.FirstLoad{Name: told, Kind: "timber", Count: 3}).Loads["load-1"].Name; got != want {
			t.Errorf("%q: %q, not %q", told, got, want)
		}
	}
}

// Said as one load of all or as so many stated one by one, a pack weighs the same within the same.
func TestFirstSaidTwoWays(t *testing.T) {
	for _, k := range catalogue.Loads {
		if !k.Pack {
			continue
		}
		const n = 7
		one := made(t, begin.FirstLoad{Name: k.Name, Kind: k.ID, Count: n, Weight: kg(11), PlusMinus: kg(2)})
		var alone []begin.FirstLoad
		for range n {
			alone = append(alone, begin.FirstLoad{Name: k.Name, Kind: k.ID, Count: 1, Weight: kg(11), PlusMinus: kg(2)})
		}
		a := review.Review(one, review.Request{}).Figures.Mass
		b := review.Review(made(t, alone...), review.Request{}).Figures.Mass
		if a == nil || b == nil || math.Abs(a.Value-b.Value) > 1e-9 {
			t.Errorf("%s: %v as one, %v as %d", k.ID, a, b, n)
			continue
		}
		if a.Low == nil || b.Low == nil || math.Abs(*a.Low-*b.Low) > 1e-9 || math.Abs(*a.High-*b.High) > 1e-9 {
			t.Errorf("%s: within other doubts", k.ID)
		}
	}
}

func TestFirstRefuses(t *testing.T) {
	huge := math.MaxFloat64
	for says, loads := range map[string][]begin.FirstLoad{
		"How many: 101 is too many": {{Name: "chairs", Count: 101}},
		"too many to begin with":    {{Name: "a", Count: 60}, {Name: "b", Count: 60}},
		"more than 100000":          {{Name: "a", Count: math.MaxInt}, {Name: "b", Count: math.MaxInt}},
		"Weight of each":            {{Name: "bricks", Kind: "bricks", Count: 10, Weight: (*quantity.Mass)(&huge)}},
		"Weight of each: ":          {{Name: "bricks", Kind: "bricks", Count: 10, Weight: kg(3), PlusMinus: (*quantity.Mass)(&huge)}},
	} {
		var no begin.Refusal
		if _, err := begin.First(&begin.FirstAnswers{Loads: loads}); !errors.As(err, &no) ||
			!strings.Contains(string(no), says) {
			t.Errorf("%q: %v", says, err)
		}
	}
	p := made(t, begin.FirstLoad{Name: "chairs", Count: 99}, begin.FirstLoad{Kind: "bricks", Count: 5000, Name: "bricks"})
	if len(p.Loads) != 100 {
		t.Errorf("%d loads", len(p.Loads))
	}
}

// A car's rating is the one for what the trailer has; without brakes the lower one is asked for.
func TestFirstBrakes(t *testing.T) {
	for brakes, braked := range map[plan.Brakes]bool{"": true, plan.BrakesFitted: true, plan.BrakesNone: false} {
		p, err := begin.First(&begin.FirstAnswers{Tow: kg(750), Brakes: brakes})
		if err != nil {
			t.Fatal(err)
		}
		c := p.TowVehicles["car"]
		if (c.TowBraked != nil) != braked || (c.TowUnbraked != nil) == braked {
			t.Errorf("%q: %+v", brakes, c)
		}
	}
}

func ExampleFirst() {
	p, _ := begin.First(&begin.FirstAnswers{
		Region: quantity.UK, Units: quantity.Metric,
		Loads: []begin.FirstLoad{{Name: "sheets of plywood", Kind: "sheets", Count: 6, Weight: kg(19)}},
		Label: kg(500), Counts: plan.CountsPayload,
	})
	l := p.Loads["load-1"]
	fmt.Println(p.Name)
	fmt.Println(l.Name, l.Mass.Value)
	// Output:
	// Sheets of plywood on the trailer
	// 6 sheets of plywood 114 kg
}
