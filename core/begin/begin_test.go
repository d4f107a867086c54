package begin_test

import (
	"math"
	"testing"

	"zygonos/core/begin"
	"zygonos/core/facts/catalogue"
	"zygonos/core/internal/sample"
	"zygonos/core/plan"
)

// Whatever is added, the plan takes it, cleans nothing out, and keeps it once where it is asked
// for twice.
func TestEverythingBegins(t *testing.T) {
	for _, what := range begin.Whats() {
		kinds := []string{""}
		if what == "fitting" {
			kinds = nil
			for _, f := range catalogue.Fittings {
				kinds = append(kinds, f.ID)
			}
		}
		for _, kind := range kinds {
			p := sample.Plan(t, "/outings/o/layouts/t/loading", `{"machine":"crate"}`)
			for _, id := range []string{"new", "newer"} {
				patch, err := begin.Patch(p, &begin.Asked{What: what, Kind: kind, ID: id, Outing: "o", Trailer: "t"})
				if err != nil {
					t.Fatalf("%s %s: %v", what, kind, err)
				}
				if p, err = plan.Apply(p, patch); err != nil {
					t.Fatalf("%s %s: %v", what, kind, err)
				}
				if problems := plan.Clean(p); len(problems) > 0 {
					t.Errorf("%s %s: %v", what, kind, problems)
				}
			}
			if what == "rings" && len(p.Trailers["t"].TiePoints) != 6 {
				t.Errorf("%d rings", len(p.Trailers["t"].TiePoints))
			}
		}
	}
}

// A plywood floor of a deck of 2.5 m by 1.4 m: 3.5 m² of (7 + 12)/2 = 9.5 kg/m² are 33.25 kg,
// give or take 8.75.
func TestFloorByArea(t *testing.T) {
	p := sample.Plan(t) // its deck is 2.5 m by 1.4 m
	patch, err := begin.Patch(p, &begin.Asked{What: "fitting", Kind: "floor-ply", ID: "floor", Trailer: "t"})
	if err != nil {
		t.Fatal(err)
	}
	if p, err = plan.Apply(p, patch); err != nil {
		t.Fatal(err)
	}
	m := p.Parts["floor"].Mass
	if math.Abs(float64(m.Value)-33.3) > 1e-9 || math.Abs(float64(*m.PlusMinus)-8.8) > 1e-9 || m.How != plan.Typical {
		t.Errorf("%+v ± %v", m, *m.PlusMinus)
	}
	if p.Parts["floor"].Size.Length.Value != 2.5 || p.Trailers["t"].Fitted["floor"].At.Back != 0 {
		t.Errorf("%+v", p.Parts["floor"])
	}
}

func TestNothingBegins(t *testing.T) {
	for _, q := range []begin.Asked{
		{What: "moon", Trailer: "t"}, {What: "rings", Trailer: "none"}, {What: "fitting", Kind: "wings", Trailer: "t"},
		{What: "ramps", Trailer: "t", Outing: "o"}, {What: "cradle", Trailer: "t", Outing: "none"},
	} {
		if patch, err := begin.Patch(sample.Plan(t), &q); err == nil || patch != nil {
			t.Errorf("%+v: %v", q, patch)
		}
	}
}
