package workshop_test

import (
	"fmt"
	"math"
	"math/rand/v2"
	"slices"
	"strings"
	"testing"

	"gonum.org/v1/gonum/spatial/r3"

	"zygonos/core/ask/workshop"
	"zygonos/core/internal/sample"
	"zygonos/core/lang/finding"
	"zygonos/core/lang/quantity"
	"zygonos/core/lang/said"
	"zygonos/core/plan"
	"zygonos/core/records"
	"zygonos/core/rig"
)

func resolved(t *testing.T, sets ...string) *rig.Rig {
	t.Helper()
	return rig.Resolve(sample.Plan(t, sets...), "t", "o")
}

// happened makes records of the sample's trailer.
func happened(t *testing.T, docs map[string]string) records.All {
	t.Helper()
	out := records.All{}
	for id, doc := range docs {
		r, err := records.Merge([]byte(`{"kind":"step","trailer":"t"}`), []byte(doc))
		if err != nil {
			t.Fatalf("%s: %v", id, err)
		}
		out[id] = r
	}
	return out
}

func texts(s said.Sentence) string { return s.Text(quantity.Locale{}) }

// The welds of a frame come once each; what is done so far stays nearer to balance about the middle than in the order of the
// drawing; a mirrored frame has a mirrored order.
func TestWeldOrder(t *testing.T) {
	rnd := rand.New(rand.NewPCG(5, 6))
	for range 300 {
		n := 2 * (3 + rnd.IntN(7))
		at := make([]r3.Vec, n) // a ladder, drawn rail by rail
		for i := range n / 2 {
			x := (float64(i) + 0.6*rnd.Float64()) * 0.4
			at[i], at[n/2+i] = r3.Vec{X: x, Y: -0.7}, r3.Vec{X: x, Y: 0.7}
		}
		order := workshop.WeldOrder(at)
		seen := map[int]bool{}
		for _, i := range order {
			seen[i] = true
		}
		if len(order) != n || len(seen) != n {
			t.Fatalf("%v of %d", order, n)
		}
		if got, drawn := imbalance(at, order), imbalance(at, ordered(n)); got > drawn*0.75 {
			t.Errorf("%v: off the middle by %v, as drawn by %v", order, got, drawn)
		}
		mirror := slices.Clone(at)
		for i := range mirror {
			mirror[i].Y = -mirror[i].Y
		}
		if again := workshop.WeldOrder(mirror); !slices.Equal(again, order) {
			t.Fatalf("%v, mirrored %v", order, again)
		}
	}
	// four corners: the second is the opposite one, by hand
	square := []r3.Vec{{X: 0, Y: -1}, {X: 0, Y: 1}, {X: 2, Y: 1}, {X: 2, Y: -1}}
	if got := workshop.WeldOrder(square); !slices.Equal(got, []int{0, 2, 1, 3}) && !slices.Equal(got, []int{0, 2, 3, 1}) {
		t.Errorf("%v", got)
	}
	if workshop.WeldOrder(nil) != nil {
		t.Error("an order of nothing")
	}
}

func ordered(n int) (out []int) {
	for i := range n {
		out = append(out, i)
	}
	return out
}

// imbalance is the greatest distance of the places so far from their middle, weighed by how many they are.
func imbalance(at []r3.Vec, order []int) (most float64) {
	var middle, sum r3.Vec
	for _, p := range at {
		middle = r3.Add(middle, r3.Scale(1/float64(len(at)), p))
	}
	for _, i := range order {
		sum = r3.Add(sum, r3.Sub(at[i], middle))
		most = math.Max(most, r3.Norm(sum))
	}
	return most
}

// A bolted ladder: the ends of its rungs meet the rails' sides, each with two M10 through a cleat of 6 mm and a wall of 3:
// 9 + 2·2 + 11.9 + 2·1.5 = 27.9 mm, so 30 are sold. 48.9 N·m of 0.2·0.01·0.64·640e6·0.78·π/4·0.01² by hand, at a spanner of
// 13·16 = 208 mm, so 0.21 m: 23.7 kg.
func TestBolts(t *testing.T) {
	j := workshop.Joints(resolved(t, "/trailers/t/frame", ladder("bolt")))
	if len(j.Bolts) != 1 || len(j.Welds) != 0 {
		t.Fatalf("%+v, welds %v", j.Bolts, j.Welds)
	}
	b := j.Bolts[0]
	if b.Count != 12 || math.Abs(b.Long.Value-0.030) > 1e-9 || math.Abs(b.Grip.Value-0.009) > 1e-9 || b.Flats.Value != 0.016 || b.Drill.Value != 0.011 {
		t.Errorf("%+v", b)
	}
	if len(j.Sound) != 6 || math.Abs(j.Sound[0].Torque.Value-50.2) > 0.3 || math.Abs(j.Sound[0].Pull.Value-50.2/9.81/0.21) > 0.3 {
		t.Errorf("%+v", j.Sound[0])
	}
	// from the middle outward: the middle rung's ends first
	for _, s := range j.Sound[:2] {
		if !strings.Contains(texts(s.Says), "– b") && !strings.Contains(texts(s.Says), "b –") {
			t.Errorf("%s comes first", texts(s.Says))
		}
	}
	// laid over the rails, 60 and 60 high: 120 + 18.9 ask for 140
	over := strings.NewReplacer(`"up":-0.05`, `"up":0.01`).Replace(ladder("bolt"))
	over = strings.Replace(over, `"left":{"order":1,"name":"left","role":"rail","from":{"back":0,"right":-0.6,"up":0.01},"to":{"back":2.4,"right":-0.6,"up":0.01}`,
		`"left":{"order":1,"name":"left","role":"rail","from":{"back":0,"right":-0.6,"up":-0.05},"to":{"back":2.4,"right":-0.6,"up":-0.05}`, 1)
	over = strings.Replace(over, `"right":{"order":1,"name":"right","role":"rail","from":{"back":0,"right":0.6,"up":0.01},"to":{"back":2.4,"right":0.6,"up":0.01}`,
		`"right":{"order":1,"name":"right","role":"rail","from":{"back":0,"right":0.6,"up":-0.05},"to":{"back":2.4,"right":0.6,"up":-0.05}`, 1)
	j = workshop.Joints(resolved(t, "/trailers/t/frame", over))
	if len(j.Bolts) != 1 || math.Abs(j.Bolts[0].Grip.Value-0.12) > 1e-3 || math.Abs(j.Bolts[0].Long.Value-0.14) > 1e-9 {
		t.Errorf("%+v", j.Bolts)
	}
	// a size that nobody sells is named and not passed over; an end that touches two members has its bolts once
	odd := workshop.Joints(resolved(t, "/trailers/t/frame", strings.ReplaceAll(ladder("bolt"), `"bolt":0.01`, `"bolt":0.018`)))
	if len(odd.Bolts) != 0 || len(odd.Odd) != 6 || !strings.Contains(texts(odd.Odd[0]), "no bolt you can buy") {
		t.Errorf("%+v", odd.Odd)
	}
	welded := workshop.Joints(resolved(t, "/trailers/t/frame", ladder("weld")))
	if len(welded.Welds) != 6 || welded.View == nil || len(welded.Bolts) != 0 {
		t.Errorf("%d welds", len(welded.Welds))
	}
	if none := workshop.Joints(resolved(t)); len(none.Welds)+len(none.Bolts) > 0 || len(none.How) == 0 {
		t.Errorf("%+v", none)
	}
}

// What came against the list: every state says what to do, holds up what stands behind it, and nothing that is right does.
func TestCheckIn(t *testing.T) {
	sets := []string{"/trailers/t/frame", ladder("weld")}
	rows := workshop.CheckIn(resolved(t, sets...), nil)
	if len(rows.Rows) != 3 || rows.Rows[0].Want+rows.Rows[1].Want+rows.Rows[2].Want != 5 || rows.Open != 0 {
		t.Fatalf("%+v", rows)
	}
	rails := rows.Rows[0].Record
	for _, c := range []struct {
		doc, says string
	}{
		{`{"kind":"part","part":{"name":"r","member":"left","got":2,"state":"good"}}`, ""},
		{`{"kind":"part","part":{"name":"r","member":"left","got":1}}`, "1 missing"},
		{`{"kind":"part","part":{"name":"r","member":"left","got":3}}`, "too many"},
		{`{"kind":"part","part":{"name":"r","member":"left","state":"wrong"}}`, "Send it back"},
		{`{"kind":"part","part":{"name":"r","member":"left","state":"handed"}}`, "Lay it beside right"},
		{`{"kind":"part","part":{"name":"r","member":"left","state":"undrill"}}`, "back to back with right"},
		{`{"kind":"part","part":{"name":"r","member":"left","state":"damaged"}}`, "Photo first"},
	} {
		got := workshop.CheckIn(resolved(t, sets...), happened(t, map[string]string{rails: c.doc}))
		if says := texts(got.Rows[0].Says); c.says == "" && says != "" || !strings.Contains(says, c.says) || (says != "") != (got.Open == 1) || got.Counts[0] != 1 {
			t.Errorf("%s: %q, %d open", c.doc, says, got.Open)
		}
	}
	// a part without another hand has no counterpart to be held against
	for state, want := range map[string]string{"undrill": "Measure it from its end", "handed": "beside the drawing"} {
		doc := `{"kind":"part","part":{"name":"Bracket","want":1,"state":"` + state + `"}}`
		own := workshop.CheckIn(resolved(t, sets...), happened(t, map[string]string{"part-own": doc}))
		if i := slices.IndexFunc(own.Rows, func(r workshop.PartRow) bool { return r.Own }); i < 0 || !strings.Contains(texts(own.Rows[i].Says), want) {
			t.Errorf("%s: %+v", state, own.Rows)
		}
	}
	// a rail with a hole: its place is drawn from the end
	drilled := strings.Replace(ladder("weld"), `"left":{`, `"left":{"cuts":{"h":{"order":1,"what":"hole","at":0.4,"size":0.011}},`, 1)
	got := workshop.CheckIn(resolved(t, "/trailers/t/frame", drilled), nil)
	var at *workshop.PartRow
	for i := range got.Rows {
		r := workshop.CheckIn(resolved(t, "/trailers/t/frame", drilled), happened(t, map[string]string{
			got.Rows[i].Record: `{"kind":"part","part":{"name":"r","member":"left","state":"undrill"}}`,
		}))
		if r.Rows[i].Drill != nil {
			at = &r.Rows[i]
		}
	}
	if at == nil || len(at.Drill.Shapes) != 3 || at.Drill.Shapes[1].Points[0][0] != 0.4 {
		t.Errorf("%+v", at)
	}
	// own lines: a number that stands twice is named; names say what they hold up
	own := workshop.CheckIn(resolved(t), happened(t, map[string]string{
		"part-1": `{"kind":"part","order":1,"part":{"number":"7","name":"Axle","want":1,"got":0}}`,
		"part-2": `{"kind":"part","order":2,"part":{"number":"7","name":"Wheel","want":2}}`,
		"part-3": `{"kind":"part","order":3,"part":{"name":"Bow wow"}}`,
	}))
	if len(own.Rows) != 3 || !slices.Equal(own.Twice, []string{"7"}) || own.Rows[0].Blocks != "the axle" || own.Rows[1].Blocks != "the wheels" || own.Rows[2].Blocks != "" {
		t.Errorf("%+v", own)
	}
	kit := workshop.CheckIn(resolved(t, "/trailers/t/frame", ladder("bolt")), nil)
	if last := kit.Rows[len(kit.Rows)-1]; last.Want != 12 || !strings.Contains(texts(last.Size), "M10") {
		t.Errorf("no bolts: %+v", last)
	}
}

// The toolbox has what the steps ask for, and the cost of what is hired and bought.
func TestTools(t *testing.T) {
	r := resolved(t, "/trailers/t/frame", ladder("bolt"))
	all := happened(t, map[string]string{"tool-mine": `{"kind":"tool","tool":{"name":"A crane","from":"hired","cost":80}}`})
	box := workshop.Tools(r, workshop.Order(r, all), all)
	var names []string
	for _, row := range box.Tools {
		names = append(names, texts(row.Name))
	}
	for _, want := range []string{"Two spanners 16 mm", "Drill bit 11 mm", "Steel tape", "A crane"} {
		if !slices.Contains(names, want) {
			t.Errorf("no %q in %v", want, names)
		}
	}
	if slices.Contains(names, "Welder, leads, clamps") || box.Cost == nil || box.Cost.Value != 80 || len(box.Site) == 0 {
		t.Errorf("%+v", box)
	}
	welded := resolved(t, "/trailers/t/frame", ladder("weld"))
	if box := workshop.Tools(welded, workshop.Order(welded, nil), nil); len(box.Used) < 2 || !strings.Contains(box.Site[0], "welder") {
		t.Errorf("%+v", box)
	}
	bought := resolved(t)
	if box := workshop.Tools(bought, workshop.Order(bought, nil), nil); len(box.Tools) != 0 || box.Away != 0 {
		t.Errorf("%+v", box)
	}
}

// What was measured goes into the plan as measured, and then stands in every check; what was drawn stays in the record.
func TestBuilt(t *testing.T) {
	p := sample.Plan(t)
	drawn := float64(p.Trailers["t"].CouplingToAxle.Value)
	all := happened(t, map[string]string{
		"built-t-axle": `{"kind":"built","built":{"what":"axle","long":2.53,"drawnLong":2.5}}`,
		"built-t-mass": `{"kind":"built","built":{"what":"mass","heavy":262}}`,
	})
	b := workshop.Built(rig.Resolve(p, "t", "o"), all)
	if len(b.Use) != 2 || math.Abs(b.Rows[0].Off.Value-0.03) > 1e-9 || b.Rows[0].Drawn.Value != drawn || b.Rows[0].InPlan {
		t.Fatalf("%+v", b)
	}
	next, err := plan.Apply(p, b.Use)
	if err != nil {
		t.Fatal(err)
	}
	r := rig.Resolve(next, "t", "o")
	if math.Abs(r.Axle.Nominal-2.53) > 1e-9 {
		t.Errorf("the axle stands at %v", r.Axle.Nominal)
	}
	again := workshop.Built(r, all)
	if len(again.Use) != 0 || !again.Rows[0].InPlan || again.Rows[0].Drawn.Value != 2.5 {
		t.Errorf("%+v", again)
	}
}

// A taped member moves its end in the drawing, what ends there goes with it, and the frame weighs by it; a hole moves to where
// it was found. Once in the plan, nothing is left to put there.
func TestBuiltFrame(t *testing.T) {
	cut := strings.Replace(ladder("weld"), `"left":{"order":1,`, `"left":{"order":1,"cuts":{"h":{"order":1,"what":"hole","at":0.3,"size":0.011}},`, 1)
	p := sample.Plan(t, "/trailers/t/frame", cut)
	all := happened(t, map[string]string{
		"built-t-m-left":   `{"kind":"built","built":{"what":"member","long":2.41,"drawnLong":2.4}}`,
		"built-t-m-right":  `{"kind":"built","built":{"what":"member","long":2.41,"drawnLong":2.4}}`,
		"built-t-m-b":      `{"kind":"built","built":{"what":"member","long":1.196,"drawnLong":1.2}}`,
		"built-t-c-left-h": `{"kind":"built","built":{"what":"member","long":0.304,"drawnLong":0.3}}`,
	})
	was := rig.Resolve(p, "t", "o")
	next, err := plan.Apply(p, workshop.Built(was, all).Use)
	if err != nil {
		t.Fatal(err)
	}
	r := rig.Resolve(next, "t", "o")
	got := next.Trailers["t"].Frame.Members
	near := func(what string, a, b float64) {
		t.Helper()
		if math.Abs(a-b) > 1e-5 {
			t.Errorf("%s: %v, want %v", what, a, b)
		}
	}
	near("left rail's rear", float64(got["left"].To.Back), 2.41)
	near("left rail's front", float64(got["left"].From.Back), 0)
	near("the rear cross member's left end", float64(got["c"].From.Back), 2.41)
	near("and its right end", float64(got["c"].To.Back), 2.41)
	near("the middle one's left end", float64(got["b"].From.Right), -0.598)
	near("and its right end", float64(got["b"].To.Right), 0.598)
	near("the hole", float64(got["left"].Cuts["h"].At), 0.304)
	near("its mass", r.Drawn.Mass/was.Drawn.Mass, (2*2.41+2*1.2+1.196)/(2*2.4+3*1.2))
	if !r.Drawn.Whole != !was.Drawn.Whole || len(r.Drawn.Touches) != len(was.Drawn.Touches) {
		t.Errorf("%d touches, were %d", len(r.Drawn.Touches), len(was.Drawn.Touches))
	}
	if again := workshop.Built(r, all); len(again.Use) != 0 {
		t.Errorf("%+v", again.Use)
	}
	// mirrored, the same rig gives the same
	if l, m := got["left"], got["right"]; l.To.Back != m.To.Back {
		t.Errorf("left %v, right %v", l.To, m.To)
	}
}

// The hole that one rail lacks is shown where its counterpart has it, and bolts of a joint where the members meet.
func TestDrill(t *testing.T) {
	cut := strings.Replace(ladder("bolt"), `"right":{"order":1,`,
		`"right":{"order":1,"cuts":{"h":{"order":1,"what":"hole","at":0.31,"off":0.005,"size":0.011}},`, 1)
	all := happened(t, map[string]string{
		"part-t-left": `{"kind":"part","part":{"name":"left","member":"part-t-left","state":"undrill"}}`,
	})
	turned := strings.Replace(cut, `"right","role":"rail","from":{"back":0,"right":0.6,"up":-0.05},"to":{"back":2.4,"right":0.6,"up":-0.05}`,
		`"right","role":"rail","from":{"back":2.4,"right":0.6,"up":-0.05},"to":{"back":0,"right":0.6,"up":-0.05}`, 1)
	if turned == cut {
		t.Fatal("the rail is not turned")
	}
	for name, c := range map[string]struct {
		frame string
		at    string
	}{"as drawn": {cut, "310 mm"}, "drawn from the other end": {turned, "2090 mm"}} {
		in := workshop.CheckIn(resolved(t, "/trailers/t/frame", c.frame), all)
		var labels string
		for _, row := range in.Rows {
			if row.Record == "part-t-left" && row.Drill != nil {
				for _, s := range row.Drill.Shapes {
					labels += texts(s.Says) + "; "
				}
			}
		}
		if !strings.Contains(labels, c.at+" · ⌀ 11 mm, as in right") {
			t.Errorf("%s: %q", name, labels)
		}
	}
}

// Snags that stop it lock the first drive; those that stop it stand first, then by their day, what is done last.
func TestSnags(t *testing.T) {
	all := happened(t, map[string]string{
		"snag-a": `{"kind":"snag","snag":{"says":"paint run"}}`,
		"snag-b": `{"kind":"snag","snag":{"says":"lamp loose","stops":true}}`,
		"snag-c": `{"kind":"snag","snag":{"says":"ring bent","done":true,"stops":true}}`,
		"snag-d": `{"kind":"snag","snag":{"says":"board short","due":"2026-06-01"}}`,
	})
	r := resolved(t, "/trailers/t/frame", ladder("bolt"))
	list := workshop.Snags(r, all)
	var got []string
	for _, s := range list.Rows {
		got = append(got, s.Record)
	}
	if !slices.Equal(got, []string{"snag-b", "snag-d", "snag-a", "snag-c"}) || list.Open != 3 || list.Stops != 1 {
		t.Errorf("%v %+v", got, list)
	}
	last := workshop.Order(r, all).Steps
	if s := last[len(last)-1]; s.ID != "first-drive" || !strings.Contains(texts(s.Waits), "1 snag must be fixed") {
		t.Errorf("%+v", s)
	}
	delete(all, "snag-b")
	last = workshop.Order(r, all).Steps
	if s := last[len(last)-1]; len(s.Waits) > 0 && strings.Contains(texts(s.Waits), "fixed") {
		t.Errorf("%+v", s)
	}
}

// The axle's sheet by hand: 1.15 of the heaviest load and no less than twice the heavier wheel, in the next size; hub faces
// are the track and twice the offset; the heaviest outing counts.
func TestOrderAxle(t *testing.T) {
	r := resolved(t, "/trailers/t/track", `{"value":1.6,"how":"weighed"}`, "/trailers/t/workshop", `{"wheelOffset":0.03}`, "/trailers/t/gear", `{"studs":4,"circle":0.1}`,
		"/trailers/t/frame", `{"members":{},"springsApart":1.2}`)
	lines := func(o *workshop.AxleOrder) string {
		out := ""
		for _, l := range o.Lines {
			out += texts(l.Name) + ": " + texts(l.Says) + "\n"
		}
		return out
	}
	o := workshop.OrderAxle(r)
	load := math.Ceil(r.Bears.OnAxle.High)
	for _, want := range []string{"1660 mm for a track of 1600 mm", "4 on 100 mm", "Spring centres: 1200 mm", "heaviest load is " + texts(said.Say("%", said.Mass(load)))} {
		if !strings.Contains(lines(o), want) {
			t.Errorf("no %q in\n%s", want, lines(o))
		}
	}
	if len(o.Needs) != 0 {
		t.Errorf("%+v", o.Needs)
	}
	heavier := resolved(t, "/loads/crate/mass/value", "600", "/outings/o/layouts/t/placements", `{"crate":{"on":"deck","at":{"back":0.5}}}`)
	heavier.Scope.Outing = "other"
	if a, b := lines(workshop.OrderAxle(r, r)), lines(workshop.OrderAxle(r, heavier)); a != lines(o) || a == b {
		t.Errorf("one outing twice\n%s\na heavier one\n%s", a, b)
	}
	if bare := workshop.OrderAxle(resolved(t, "/trailers/t/track", "-")); len(bare.Needs) < 3 {
		t.Errorf("%+v", bare.Needs)
	}
}

// The play of a sleeve by hand: 50.5 in 48 with 0.1 of paint on both: 50.5 − 48 − 0.4 = 2.1 mm.
func TestSleeve(t *testing.T) {
	for _, c := range []struct {
		doc  string
		want finding.Outcome
		says string
	}{
		{`"inside":0.0505,"outside":0.048,"coat":0.0001,"bothCoat":true`, finding.Tight, "2.1 mm of play rattles. Use a shim of 0.8 mm"},
		{`"inside":0.0505,"outside":0.0495`, finding.Holds, "1 mm of play"},
		{`"inside":0.0505,"outside":0.0502,"coat":0.0002`, finding.Fails, "0.1 mm too wide"},
		{`"inside":0.0505,"outside":0.0502`, finding.Tight, "jams"},
		{`"inside":0.0505`, finding.Unknown, "both widths"},
	} {
		f := found(t, `"sleeve":{`+c.doc+`}`, workshop.CodeSleeve)
		if f == nil || f.Outcome != c.want || !strings.Contains(texts(f.Says), c.says) {
			t.Errorf("%s: %+v", c.doc, f)
		}
	}
	if f := found(t, `"sleeve":{}`, workshop.CodeSleeve); f != nil {
		t.Errorf("%+v", f)
	}
}

// Steps are moved where the order allows, split and added; a circle is refused and named; what a step is locked by is said.
func TestOwnSteps(t *testing.T) {
	sets := []string{"/trailers/t/frame", ladder("bolt"), "/trailers/t/wiring", lamps, "/trailers/t/decking", `{}`}
	r := resolved(t, sets...)
	tick := func(id string) string { return workshop.TickOf("t", id) }
	w := workshop.Order(r, happened(t, map[string]string{
		tick("coupling"): `{"step":{"before":"axle"}}`,
		tick("deck"):     `{"step":{"before":"cable"}}`, // the floor waits for the cable
		"own-x":          `{"step":{"says":"Fetch trestles","after":"check-in","guess":10}}`,
		"own-y":          `{"step":{"says":"The left half","of":"deck"}}`,
	}))
	at := func(id string) int { return slices.Index(ids(w), id) }
	if at("coupling") > at("axle") || at("own-x") < at("check-in") || at("own-y") > at("deck") || at("deck") < at("cable") {
		t.Errorf("%v", ids(w))
	}
	if len(w.Refused) != 1 || !strings.Contains(texts(w.Refused[0]), "wait for one another") || !strings.Contains(texts(w.Refused[0]), "Run the cable") {
		t.Errorf("%v", w.Refused)
	}
	plain := workshop.Order(r, nil)
	if got, want := w.Hours[1]-13.0/60, plain.Hours[1]; math.Abs(got-want) > 1e-9 { // split, the deck takes no longer
		t.Errorf("%v h, %v without", got, want)
	}
	// locked behind what was not taped, unless that is done
	if s := plain.Steps[slices.Index(ids(plain), "axle")]; !strings.Contains(texts(s.Waits), "First: ") {
		t.Errorf("%+v", s.Waits)
	}
	done := workshop.Order(r, happened(t, map[string]string{tick("square"): `{"step":{"done":true,"minutes":12}}`}))
	if s := done.Steps[slices.Index(ids(done), "axle")]; len(s.Waits) > 0 {
		t.Errorf("%+v", s.Waits)
	}
	if s := done.Steps[slices.Index(ids(done), "square")]; !s.Done || *s.Took != 12 || done.Left != plain.Left-1 {
		t.Errorf("%+v", s)
	}
	// what is together only grows; an end becomes too heavy once
	last, two := 0.0, 0
	for _, s := range plain.Steps {
		if s.Weighs != nil {
			if s.Weighs.Value < last {
				t.Errorf("%s: %v kg after %v", s.ID, s.Weighs.Value, last)
			}
			last = s.Weighs.Value
		}
		if s.Two {
			two++
		}
	}
	if two != 1 || last < 60 {
		t.Errorf("%d times too heavy, %v kg", two, last)
	}
	if id := workshop.TickOf(strings.Repeat("long-", 11), "a-step-with-a-long-name"); len(id) > 64 || id == workshop.TickOf(strings.Repeat("long-", 11), "another-step-with-a-long-name") {
		t.Error(id)
	}
}

// A thousand steps of one's own are laid; those beyond stay out and are stated.
func TestManySteps(t *testing.T) {
	r := resolved(t, "/trailers/t/frame", ladder("bolt"))
	docs := map[string]string{}
	for i := range 1003 {
		docs[fmt.Sprintf("own-%04d", i)] = fmt.Sprintf(`{"order":%d,"step":{"says":"Thing %d"}}`, i, i)
	}
	w, plain := workshop.Order(r, happened(t, docs)), workshop.Order(r, nil)
	if got := len(w.Steps) - len(plain.Steps); got != 1000 {
		t.Errorf("%d are laid", got)
	}
	if len(w.Refused) != 1 || !strings.Contains(texts(w.Refused[0]), "3 are not") {
		t.Errorf("%v", w.Refused)
	}
}
