package study_test

import (
	"math"
	"strings"
	"testing"

	"zygonos/core/internal/sample"
	"zygonos/core/lang/quantity"
	"zygonos/core/lang/said"
	"zygonos/core/plan"
	"zygonos/core/records"
	"zygonos/core/rig"
	"zygonos/core/study"
)

func logged(t *testing.T, docs map[string]string) records.All {
	t.Helper()
	out := records.All{}
	for id, doc := range docs {
		r, err := records.Merge([]byte(`{"trailer":"t"}`), []byte(doc))
		if err != nil {
			t.Fatalf("%s: %v", id, err)
		}
		out[id] = r
	}
	return out
}

func saidText(s said.Sentence) string { return s.Text(quantity.Locale{Region: quantity.UK}) }

// What four slips say of gravel goes into the plan as a material of its own, and its loads are weighed by it; the slip that is of
// something else is shown and not counted. By hand: 1651 ± 133/√4 (87.5 of its own, 100 of fill and scale) against 1750 ± 125 before:
// (1750/125² + 1651/66.5²)/(1/125² + 1/66.5²) = 1672.8.
func TestSlipsTeach(t *testing.T) {
	sets := []string{"/loads", `{"g":{"order":1,"name":"Gravel","bulk":{"material":"gravel","by":"volume","volume":{"value":0.25,"relative":0,"how":"weighed"}}}}`,
		"/outings/o/layouts/t/placements", `{"g":{"on":"deck","at":{"back":0.2}}}`}
	p := sample.Plan(t, sets...)
	slip := func(on string, full float64, fill string) string {
		return `{"kind":"slip","on":"` + on + `","slip":{"material":"gravel","full":` + quantityText(full) + `,"empty":250,"fill":` + fill + `,"fillDoubt":0.05}}`
	}
	all := logged(t, map[string]string{
		"slip-a": slip("2026-04-01", 665, "0.25"), "slip-b": slip("2026-04-02", 660, "0.25"), "slip-c": slip("2026-04-03", 670, "0.25"),
		"slip-d": slip("2026-04-04", 450, "0.25"), "slip-e": slip("2026-04-05", 656, "0.25"),
	})
	b := study.Log(p, "t", all, "2026-05-01")
	if len(b.Materials) != 1 || b.Materials[0].Slips != 4 || !b.Slips[1].Out || b.Slips[0].Out || b.Slips[0].On != "2026-04-05" {
		t.Fatalf("%+v", b)
	}
	m := b.Materials[0]
	if math.Abs(m.Mean.Value-1672.8) > 1 || *m.Mean.Low < 1500 || *m.Mean.High > 1800 || *m.Load.High <= *m.Mean.High {
		t.Errorf("%+v", m)
	}
	was := rig.Resolve(p, "t", "o").Items[0].Mass
	next, err := plan.Apply(p, m.Use)
	if err != nil {
		t.Fatal(err)
	}
	if problems := plan.Clean(next); len(problems) > 0 {
		t.Errorf("%+v", problems)
	}
	now := rig.Resolve(next, "t", "o").Items[0].Mass
	if math.Abs(now.Nominal-0.25*math.Round(m.Mean.Value/10)*10) > 1 || now.High-now.Low >= was.High-was.Low {
		t.Errorf("%+v before, %+v after", was, now)
	}
	if again := study.Log(next, "t", all, "2026-05-01"); len(again.Materials[0].Use) != 0 {
		t.Errorf("%+v", again.Materials[0].Use)
	}
}

// Slips and trips that cannot be are named and not counted.
func TestLogRefuses(t *testing.T) {
	p := sample.Plan(t)
	for _, c := range []struct{ doc, says string }{
		{`{"kind":"slip","slip":{"material":"sand","full":250,"empty":600,"fill":0.2}}`, "are swapped"},
		{`{"kind":"slip","slip":{"material":"sand","full":600,"fill":0.2}}`, "Both weights"},
		{`{"kind":"slip","on":"2027-01-01","slip":{"material":"sand","full":600,"empty":250,"fill":0.2}}`, "still to come"},
	} {
		b := study.Log(p, "t", logged(t, map[string]string{"slip-a": c.doc}), "2026-05-01")
		if len(b.Slips) != 1 || len(b.Materials) != 0 || !strings.Contains(saidText(b.Slips[0].Wrong), c.says) {
			t.Errorf("%s: %+v", c.doc, b)
		}
	}
	// a load by its price: 12 for 400 kg are 30 a tonne; without a fill nothing is learned
	b := study.Log(p, "t", logged(t, map[string]string{"slip-a": `{"kind":"slip","slip":{"material":"sand","full":650,"empty":250,"price":12}}`}), "")
	if b.Slips[0].Load.Value != 400 || b.Slips[0].PerTon.Value != 30 || b.Slips[0].Density != nil || len(b.Materials) != 0 {
		t.Errorf("%+v", b.Slips[0])
	}
	trips := study.Log(p, "t", logged(t, map[string]string{
		"trip-a": `{"kind":"trip","on":"2026-04-01","trip":{"outing":"o","far":20000,"load":400,"ballSaid":40,"ballRead":46}}`,
		"trip-b": `{"kind":"trip","on":"2026-04-02","trip":{"far":30000,"load":300,"ballSaid":40,"ballRead":42,"hubLeft":40,"hubRight":65}}`,
		"trip-c": `{"kind":"trip","on":"2026-04-03","trip":{"ballSaid":40,"ballRead":38,"hubLeft":80,"hubRight":82,"slack":true}}`,
		"trip-d": `{"kind":"trip","on":"2027-04-03","trip":{"far":90000}}`, "slip-x": `{"kind":"slip","trailer":"u","slip":{}}`,
	}), "2026-05-01")
	if trips.Far.Value != 50000 || trips.Carried.Value != 700 || len(trips.Trips) != 4 || len(trips.Slips) != 0 || !strings.Contains(saidText(trips.Says), "3 trips") {
		t.Errorf("%+v", trips)
	}
	for i, says := range []string{"still to come", "hotter than", "25 K hotter", ""} {
		if got := saidText(trips.Trips[i].Warns); says == "" && got != "" || !strings.Contains(got, says) {
			t.Errorf("%d: %s", i, got)
		}
	}
	if !strings.Contains(saidText(trips.Ball), "2 kg heavier") || !strings.Contains(saidText(trips.Ball), "6 kg off") {
		t.Errorf("%s", saidText(trips.Ball))
	}
}

func quantityText(v float64) string {
	return strings.TrimSuffix(quantity.Locale{Units: quantity.Metric}.Text(quantity.KindMass, v), " kg")
}
