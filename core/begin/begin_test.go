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
			if what == "stretch" || what == "member" || what == "seat" || what == "vents" || what == "struts" || what == "piece" { // they need a frame or a bed: TestStretch, TestMember, TestSeat, TestVents, TestPowerAndTip
				continue
			}
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

// A frame made 0.5 m longer behind 1 m: what lies behind goes back, the rails grow, the drawbar's front stays;
// wider by 0.2 m: rails and cross members' ends go out by 0.1; shorter again, it is the frame that it was.
func TestStretch(t *testing.T) {
	begun := func(p *plan.Plan, q begin.Asked) *plan.Plan {
		t.Helper()
		q.Trailer = "t"
		ops, err := begin.Patch(p, &q)
		if err != nil {
			t.Fatal(err)
		}
		out, err := plan.Apply(p, ops)
		if err != nil {
			t.Fatal(err)
		}
		if bad := plan.Clean(out); len(bad) > 0 {
			t.Fatal(bad)
		}
		return out
	}
	p := begun(sample.Plan(t), begin.Asked{What: "frame", Kind: "beam"})
	was := p.Trailers["t"]
	long := begun(p, begin.Asked{What: "stretch", Kind: "longer", By: 0.5, At: 1}).Trailers["t"]
	for id, m := range long.Frame.Members {
		for k, end := range []plan.FramePoint{m.From, m.To} {
			old := []plan.FramePoint{was.Frame.Members[id].From, was.Frame.Members[id].To}[k]
			want := old.Back
			if old.Back > 1 {
				want += 0.5
			}
			if math.Abs(float64(end.Back-want)) > 1e-9 || end.Right != old.Right {
				t.Errorf("%s: %v was %v", id, end, old)
			}
		}
	}
	if math.Abs(float64(long.DeckLength.Value-was.DeckLength.Value)-0.5) > 1e-9 || long.CouplingToAxle.Value != was.CouplingToAxle.Value {
		t.Errorf("deck %v", long.DeckLength)
	}
	q := begun(p, begin.Asked{What: "stretch", Kind: "wider", By: 0.2})
	if r := q.Trailers["t"].Frame.Members["rail-right"].From.Right - was.Frame.Members["rail-right"].From.Right; math.Abs(float64(r)-0.1) > 1e-9 {
		t.Errorf("the rail went out by %v", r)
	}
	back := begun(q, begin.Asked{What: "stretch", Kind: "wider", By: -0.2}).Trailers["t"]
	for id, m := range back.Frame.Members {
		if math.Abs(float64(m.From.Right-was.Frame.Members[id].From.Right)) > 1e-9 {
			t.Errorf("%s does not come back: %v", id, m.From)
		}
	}
	bar := begun(p, begin.Asked{What: "stretch", Kind: "drawbar", By: 0.6}).Trailers["t"]
	if d := bar.Frame.Members["drawbar"].From.Back - was.Frame.Members["drawbar"].From.Back; math.Abs(float64(d)+0.6) > 1e-9 ||
		math.Abs(float64(bar.CouplingToAxle.Value-was.CouplingToAxle.Value)-0.6) > 1e-9 {
		t.Errorf("drawbar %v, axle %v", d, bar.CouplingToAxle.Value)
	}
	for _, q := range []begin.Asked{
		{Kind: "longer"}, {Kind: "longer", By: 9}, {Kind: "taller", By: 1}, {Kind: "longer", By: -2.45, At: 0.01}, {Kind: "wider", By: -1.39},
	} {
		q.What, q.Trailer = "stretch", "t"
		if ops, err := begin.Patch(p, &q); err == nil {
			t.Errorf("%+v: %v", q, ops)
		}
	}
	if _, err := begin.Patch(sample.Plan(t), &begin.Asked{What: "stretch", Kind: "longer", By: 1, Trailer: "t"}); err == nil {
		t.Error("nothing was stretched")
	}
}
