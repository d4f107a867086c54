package begin_test

import (
	"math"
	"testing"

	"zygonos/core/ask/wiring"
	"zygonos/core/begin"
	"zygonos/core/facts/norms"
	"zygonos/core/internal/sample"
	"zygonos/core/lang/finding"
	"zygonos/core/lang/quantity"
	"zygonos/core/parts"
	"zygonos/core/plan"
	"zygonos/core/rig"
)

// A member added stands 150 mm behind the one in hand or as far as asked; mirrored twice it is where it was;
// split, both halves weigh what it weighed, its cuts stay where they were.
func TestMember(t *testing.T) {
	change := func(p *plan.Plan, q begin.Asked) *plan.Plan {
		t.Helper()
		q.Trailer = "t"
		ops, err := begin.Patch(p, &q)
		if err != nil {
			t.Fatalf("%+v: %v", q, err)
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
	p := change(sample.Plan(t), begin.Asked{What: "frame", Kind: "a-frame"})
	of := func(p *plan.Plan, id string) plan.Member { return p.Trailers["t"].Frame.Members[id] }

	more := change(p, begin.Asked{What: "member", Kind: "add", ID: "n", Of: "rail-left"})
	if d := of(more, "n").From.Back - of(p, "rail-left").From.Back; math.Abs(float64(d)-0.15) > 1e-9 ||
		of(more, "n").Order <= of(p, "rail-right").Order {
		t.Errorf("added %+v", of(more, "n"))
	}
	if m := of(change(p, begin.Asked{What: "member", Kind: "add", ID: "n", By: 0.4}), "n"); m.Role != plan.RoleCross ||
		m.From.Back != of(p, "cross-1").From.Back+0.4 {
		t.Errorf("with none in hand %+v", m)
	}

	cut, err := plan.Apply(p, []finding.Op{{Op: "add", Path: "/trailers/t/frame/members/drawbar-left/cuts", Value: map[string]any{
		"a": map[string]any{"order": 1, "what": "notch", "at": 0.2, "size": 0.01, "long": 0.05, "face": "left"},
		"b": map[string]any{"order": 2, "what": "hole", "at": 1.5, "size": 0.013},
	}}})
	if err != nil {
		t.Fatal(err)
	}
	twice := change(change(cut, begin.Asked{What: "member", Kind: "mirror", ID: "n", Of: "drawbar-left"}),
		begin.Asked{What: "member", Kind: "mirror", ID: "m", Of: "n"})
	a, b, c := of(twice, "drawbar-left"), of(twice, "n"), of(twice, "m")
	if a.From != c.From || a.To != c.To || a.Roll != c.Roll || a.Cuts["a"].Face != c.Cuts["a"].Face ||
		b.From.Right != -a.From.Right || b.Cuts["a"].Face != plan.FaceRight {
		t.Errorf("mirrored %+v of %+v", c, a)
	}

	for _, at := range []float64{0, 0.6} {
		half := change(cut, begin.Asked{What: "member", Kind: "split", ID: "n", Of: "drawbar-left", At: quantity.Length(at)})
		one, _ := parts.FrameMass(cut.Trailers["t"].Frame)
		two, _ := parts.FrameMass(half.Trailers["t"].Frame)
		front, rear := of(half, "drawbar-left"), of(half, "n")
		if math.Abs(one-two) > 1e-9 || front.To != rear.From || len(front.Cuts) != 1 || len(rear.Cuts) != 1 {
			t.Errorf("split at %v: %v kg of %v, %+v and %+v", at, two, one, front, rear)
		}
		where := func(p *plan.Plan, id, cut string) float64 {
			for _, b := range parts.FrameBars(p.Trailers["t"].Frame) {
				if b.ID == id {
					return b.At(float64(b.Member.Cuts[cut].At)).X
				}
			}
			return math.NaN()
		}
		if d := where(half, "n", "b") - where(cut, "drawbar-left", "b"); math.Abs(d) > 1e-9 {
			t.Errorf("its hole moved by %v", d)
		}
	}

	for _, q := range []begin.Asked{
		{Kind: "split", ID: "n"}, {Kind: "mirror", ID: "n", Of: "nobody"}, {Kind: "split", ID: "n", Of: "rail-left", At: 9},
		{Kind: "turn", ID: "n", Of: "rail-left"}, {Kind: "add", Of: "rail-left"},
	} {
		q.What, q.Trailer = "member", "t"
		if got, err := begin.Patch(p, &q); err == nil {
			t.Errorf("%+v: %v", q, got)
		}
	}
}

// Notched for the axle, both rails lose so much at each axle and nowhere else; deeper than the rail is refused.
func TestSeat(t *testing.T) {
	p := sample.Plan(t)
	for _, q := range []begin.Asked{{What: "frame", Kind: "beam"}, {What: "seat", ID: "n", By: 0.03}} {
		q.Trailer = "t"
		ops, err := begin.Patch(p, &q)
		if err != nil {
			t.Fatal(err)
		}
		if p, err = plan.Apply(p, ops); err != nil {
			t.Fatal(err)
		}
	}
	if bad := plan.Clean(p); len(bad) > 0 {
		t.Fatal(bad)
	}
	tr := p.Trailers["t"]
	at := float64(tr.CouplingToAxle.Value - tr.CouplingToDeck.Value)
	cuts := 0
	for _, b := range parts.FrameBars(tr.Frame) {
		for _, c := range b.Cuts {
			cuts++
			if b.Member.Role != plan.RoleRail || math.Abs(b.At(float64(c.Cut.At)).X-at) > 1e-3 || c.Cut.Face != plan.FaceBottom {
				t.Errorf("%s is cut at %v, the axle stands at %v", b.ID, b.At(float64(c.Cut.At)).X, at)
			}
		}
	}
	if cuts != 2 {
		t.Errorf("%d notches", cuts)
	}
	for _, by := range []quantity.Length{0, 0.5} {
		if _, err := begin.Patch(p, &begin.Asked{What: "seat", ID: "n", By: by, Trailer: "t"}); err == nil {
			t.Errorf("notched %v deep", by)
		}
	}
}

// Vented as asked, a frame lacks no vent, keeps its other cuts, and asks for nothing twice.
func TestVents(t *testing.T) {
	p := sample.Plan(t)
	for _, q := range []begin.Asked{{What: "frame", Kind: "a-frame"}, {What: "vents", ID: "v"}} {
		q.Trailer = "t"
		ops, err := begin.Patch(p, &q)
		if err != nil {
			t.Fatal(err)
		}
		if p, err = plan.Apply(p, ops); err != nil {
			t.Fatal(err)
		}
		if bad := plan.Clean(p); len(bad) > 0 {
			t.Fatal(bad)
		}
	}
	if left := parts.Vents(p.Trailers["t"].Frame); len(left) != 0 {
		t.Errorf("%+v", left)
	}
	if _, err := begin.Patch(p, &begin.Asked{What: "vents", ID: "w", Trailer: "t"}); err == nil {
		t.Error("vented twice")
	}
}

// The lamps that a region asks for begin where its rules want them, whatever the region.
func TestLamps(t *testing.T) {
	for _, region := range quantity.Regions {
		p := sample.Plan(t, "/region", `"`+string(region)+`"`, "/trailers/t/widthOverAll", `{"value":2.2,"how":"weighed"}`,
			"/trailers/t/deckLength", `{"value":6,"how":"weighed"}`)
		ops, err := begin.Patch(p, &begin.Asked{What: "lamps", Trailer: "t"})
		if err != nil {
			t.Fatal(err)
		}
		if p, err = plan.Apply(p, ops); err != nil {
			t.Fatal(err)
		}
		if bad := plan.Clean(p); len(bad) > 0 {
			t.Fatal(region, bad)
		}
		have := map[string]int{}
		for _, l := range p.Trailers["t"].Wiring.Lamps {
			have[string(l.What)]++
		}
		rules, _ := norms.LampRules(region)
		for _, r := range rules {
			if r.Asks(750, 2.2, 7) && have[r.What] < r.Least {
				t.Errorf("%s: %d of %d %s", region, have[r.What], r.Least, r.What)
			}
		}
		for _, f := range wiring.Check(rig.Resolve(p, "t", "o")) {
			if (f.Code == wiring.CodeLamps || f.Code == wiring.CodePlaces) && f.Outcome != finding.Holds {
				t.Errorf("%s: %s %s", region, f.Outcome, f.Says.Text(p.Locale()))
			}
		}
	}
}

// A battery on board begins with what the plan knows of that draws: the bed's winch, an outing's electric winch; a bed begins
// in every way and can be swept at once.
func TestPowerAndTip(t *testing.T) {
	for _, kind := range []string{"mast", "swing", "cylinder", "lever", "hand"} {
		p := sample.Plan(t)
		ops, err := begin.Patch(p, &begin.Asked{What: "tip", Kind: kind, Trailer: "t"})
		if err != nil {
			t.Fatal(err)
		}
		q, err := plan.Apply(p, ops)
		if err != nil || len(plan.Clean(q)) > 0 {
			t.Fatalf("%s: %v", kind, err)
		}
		with, err := begin.Patch(q, &begin.Asked{What: "struts", Trailer: "t"})
		if err != nil {
			t.Fatal(err)
		}
		if s, err := plan.Apply(q, with); err != nil || len(plan.Clean(s)) > 0 || s.Trailers["t"].Tipping.Struts != 2 {
			t.Fatalf("%s: %v", kind, err)
		}
		pieces, err := begin.Patch(q, &begin.Asked{What: "piece", ID: "p", Trailer: "t"})
		if err != nil {
			t.Fatal(err)
		}
		s, err := plan.Apply(q, pieces)
		if err != nil || len(plan.Clean(s)) > 0 || s.Trailers["t"].Tipping.Pieces["p"].At.Back != 1.25 { // of 2.5 m
			t.Fatalf("%s: %v", kind, err)
		}
		g := q.Trailers["t"].Tipping
		if string(g.By) != kind || g.Mass == nil || g.Stop == nil {
			t.Errorf("%s: %+v", kind, g)
		}
	}
	if _, err := begin.Patch(sample.Plan(t), &begin.Asked{What: "piece", ID: "p", Trailer: "t"}); err == nil {
		t.Error("a piece without a bed")
	}
	if _, err := begin.Patch(sample.Plan(t), &begin.Asked{What: "struts", Trailer: "t"}); err == nil {
		t.Error("struts without a bed")
	}
	p := sample.Plan(t, "/trailers/t/tipping", `{"by":"mast","hinge":{"back":2,"up":0},"pick":{"back":0,"up":0},"top":{"back":0,"up":1},"foot":{"back":0,"up":0},
		"drum":{"back":0,"up":0},"knee":{"back":0,"up":0},"amps":70}`, "/outings/o/layouts/t/loading", `{"winch":{"back":-0.5,"up":0.5,"pull":900,"battery":70}}`)
	ops, err := begin.Patch(p, &begin.Asked{What: "power", Trailer: "t"})
	if err != nil {
		t.Fatal(err)
	}
	q, err := plan.Apply(p, ops)
	if err != nil || len(plan.Clean(q)) > 0 {
		t.Fatal(err)
	}
	uses := q.Trailers["t"].Wiring.Power.Uses
	if *uses["tipping"].Amps != 70 || *uses["winch"].Amps != 117 { // 0.13 A a kg
		t.Errorf("%+v", uses)
	}
}
