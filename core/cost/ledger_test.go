package cost_test

import (
	"math"
	"math/rand/v2"
	"strings"
	"testing"

	"zygonos/core/cost"
	"zygonos/core/lang/finding"
	"zygonos/core/lang/quantity"
	"zygonos/core/lang/said"
	"zygonos/core/plan"
	"zygonos/core/records"
)

func spends(t *testing.T, docs map[string]string) records.All {
	t.Helper()
	out := records.All{}
	for id, doc := range docs {
		r, err := records.Merge(nil, []byte(`{"kind":"spend","trailer":"t","spend":`+doc+`}`))
		if err != nil {
			t.Fatalf("%s: %v", id, err)
		}
		out[id] = r
	}
	return out
}

func texts(s said.Sentence) string { return s.Text(quantity.Locale{Region: quantity.UK}) }

// By hand: 438.50 spent of 420 planned; 190 to come with 20 % on top, 228; 120 spent of which 20 are tax; what the plan knows, 63.33,
// of which 60 were paid; wheels worth 90 apart. 618.50 spent, 228 to come.
func TestLedger(t *testing.T) {
	all := spends(t, map[string]string{
		"spend-1": `{"what":"Axle","for":"part","planned":420,"spent":438.5}`, "spend-2": `{"what":"Coupling","for":"part","planned":190,"tax":0.2,"taxOn":true}`,
		"spend-3": `{"what":"Winch","for":"part","spent":120,"tax":0.2}`, "spend-4": `{"what":"Wheels","worth":90}`,
		"spend-t-tin-paint": `{"spent":60}`,
	})
	planned := []cost.Planned{{Key: "tin-paint", What: said.Say("Paint"), For: records.ForFinish, Money: money(63.333)}}
	l := cost.LedgerOf(&plan.MoneyPlan{Target: money(850)}, "t", planned, all)
	if l.Spent.Value != 618.5 || l.ToCome.Value != 228 || l.Whole.Value != 846.5 || l.Worth.Value != 90 || l.Tax.Value != 20 || l.Over != nil {
		t.Errorf("%+v", l)
	}
	if len(l.Rows) != 5 || l.Rows[0].Own || l.Rows[0].Planned.Value != 63.33 || l.Rows[0].Spent.Value != 60 {
		t.Errorf("%+v", l.Rows[0])
	}
	for _, c := range []struct {
		target quantity.Money
		want   finding.Outcome
		says   string
	}{
		{850, finding.Tight, "leaves £3.50"}, {1000, finding.Holds, "is left"}, {846.5, finding.Tight, "leaves £0"}, {846.49, finding.Fails, "will be passed by £0.01"},
		{600, finding.Fails, "has been passed"},
	} {
		l := cost.LedgerOf(&plan.MoneyPlan{Target: money(c.target)}, "t", planned, all)
		if l.Outcome != c.want || !strings.Contains(texts(l.Says), c.says) {
			t.Errorf("%v: %s %s", c.target, l.Outcome, texts(l.Says))
		}
	}
	// a line without a sum never lets the target plainly hold
	all["spend-9"] = spends(t, map[string]string{"x": `{"what":"Something"}`})["x"]
	if l := cost.LedgerOf(&plan.MoneyPlan{Target: money(2000)}, "t", planned, all); l.Outcome != finding.Unknown || l.Open != 1 {
		t.Errorf("%s", l.Outcome)
	}
	if l := cost.LedgerOf(&plan.MoneyPlan{Target: money(850)}, "t", planned, all); l.Outcome != finding.Unknown || !strings.Contains(texts(l.Says), "leaves £3.50") {
		t.Errorf("near it: %s %s", l.Outcome, texts(l.Says))
	}
	delete(all, "spend-9")
	// nor one that follows from the plan and has no price
	unpriced := append(planned, cost.Planned{Key: "bars", What: said.Say("Bars"), For: records.ForMaterial})
	if l := cost.LedgerOf(&plan.MoneyPlan{Target: money(2000)}, "t", unpriced, all); l.Outcome != finding.Unknown || l.Open != 1 {
		t.Errorf("%s", l.Outcome)
	}
	if l := cost.LedgerOf(nil, "t", nil, nil); l.Outcome != "" || l.Whole.Value != 0 {
		t.Errorf("%+v", l)
	}
	// upkeep and trips stand apart, and take nothing from the target
	for id, doc := range map[string]string{
		"wear-1": `{"kind":"wear","trailer":"t","on":"2026-04-01","wear":{"what":"bearings","cost":30}}`,
		"trip-1": `{"kind":"trip","trailer":"t","on":"2026-04-01","trip":{"cost":12.34}}`,
		"trip-2": `{"kind":"trip","trailer":"u","on":"2026-04-01","trip":{"cost":99}}`, "trip-3": `{"kind":"trip","trailer":"t","trip":{"far":9000}}`,
	} {
		r, err := records.Merge(nil, []byte(doc))
		if err != nil {
			t.Fatal(err)
		}
		all[id] = r
	}
	if l := cost.LedgerOf(&plan.MoneyPlan{Target: money(850)}, "t", planned, all); l.Running.Value != 42.34 || l.Whole.Value != 846.5 || l.Spent.Value != 618.5 || len(l.Rows) != 7 {
		t.Errorf("%+v", l)
	}
	for id := range all {
		if all[id].Spend == nil {
			delete(all, id)
		}
	}
	// another trailer's lines are not this one's
	if l := cost.LedgerOf(nil, "u", nil, all); len(l.Rows) != 0 {
		t.Errorf("%+v", l.Rows)
	}
}

// Two thousand sums that no float adds up: to the cent, in any order, in parts or as a whole.
func TestToTheCent(t *testing.T) {
	r := rand.New(rand.NewPCG(1, 2))
	all, want := records.All{}, int64(0)
	for i := range 2000 {
		c := r.Int64N(100000)
		want += c
		m := quantity.Money(c) / 100
		id := "spend-" + string(rune('a'+i%26)) + "-" + string(rune('a'+i/26%26)) + "-" + string(rune('a'+i/676))
		all[id] = &records.Happened{Kind: records.KindSpend, Trailer: "t", Spend: &records.SpendRecord{What: "x", Spent: &m, For: records.SpendFors[i%len(records.SpendFors)]}}
	}
	l := cost.LedgerOf(nil, "t", nil, all)
	sum := int64(0)
	for _, p := range l.By {
		sum += int64(math.Round(p.Spent.Value * 100))
	}
	if got := int64(math.Round(l.Spent.Value * 100)); got != want || sum != want {
		t.Errorf("%d, in parts %d, want %d", got, sum, want)
	}
}

// By hand over 5 years and 100 uses: a trailer of 1000, sold for 400, 20 a year, 5 a use: 1000 − 400 + 100 + 500 = 1200; hire at
// 30 is 3000. It pays from (1000 − 400 + 100)/(30 − 5) = 28 uses on.
func TestWays(t *testing.T) {
	m := &plan.MoneyPlan{Years: ptr(5.0), Uses: ptr(20.0), Ways: map[string]plan.WayCost{
		"own":  {Order: 1, Name: "Own", Kind: plan.WayBuild, First: money(1000), Resale: money(400), PerYear: money(20), PerUse: money(5)},
		"hire": {Order: 2, Name: "Hire", Kind: plan.WayHire, PerUse: money(30)},
	}}
	w := cost.WaysOf(m, "t", cost.Known{})
	own, hire := w.Rows[0], w.Rows[1]
	if own.Whole.Value != 1200 || hire.Whole.Value != 3000 || !own.Best || own.Even.Value != 28 || own.Use.Value != 12 || !(*own.Even.Low < 28 && *own.Even.High > 28) {
		t.Errorf("%+v %+v", own, hire)
	}
	// at the break-even both cost the same, one use less and hiring is cheaper
	m.Uses = ptr(28.0 / 5)
	if w := cost.WaysOf(m, "t", cost.Known{}); math.Abs(w.Rows[0].Whole.Value-w.Rows[1].Whole.Value) > 1e-6 {
		t.Errorf("%v and %v", w.Rows[0].Whole.Value, w.Rows[1].Whole.Value)
	}
	// one's own hours count by their rate: 20 h at 15 are 12 uses of 25 more
	m.HourRate = money(15)
	own2 := m.Ways["own"]
	own2.Hours = hours(20)
	m.Ways["own"] = own2
	if w := cost.WaysOf(m, "t", cost.Known{}); w.Rows[0].Even.Value != 40 {
		t.Errorf("%+v", w.Rows[0].Even)
	}
	// what is not entered comes from the ledger; where it is known nowhere it is asked for
	own2.First = nil
	m.Ways["own"] = own2
	v := 800.0
	if w := cost.WaysOf(m, "t", cost.Known{Build: &v}); w.Rows[0].First == nil || w.Rows[0].First.Value != 800 {
		t.Errorf("%+v", w.Rows[0])
	}
	if w := cost.WaysOf(m, "t", cost.Known{}); len(w.Rows[0].Needs) != 1 || w.Rows[0].Whole != nil {
		t.Errorf("%+v", w.Rows[0])
	}
	own2.First, own2.PerUse = money(100), money(40)
	m.Ways["own"] = own2
	if w := cost.WaysOf(m, "t", cost.Known{}); !w.Rows[0].Never || w.Rows[0].Even != nil {
		t.Errorf("%+v", w.Rows[0])
	}
	if w := cost.WaysOf(nil, "t", cost.Known{}); len(w.Needs) != 2 || len(w.Rows) != 0 {
		t.Errorf("%+v", w)
	}
}

// By hand: 70 of pay less 22 km at 0.45 and a fee of 12.50 are 47.60; a trailer of 1000 is paid by 22 jobs.
func TestJobs(t *testing.T) {
	far := quantity.Length(22000)
	driving := quantity.DriveCost(0.45)
	m := &plan.MoneyPlan{PerDistance: &driving, Jobs: map[string]plan.EarnJob{
		"clay": {Order: 1, Name: "Clay", Rate: money(70), Far: &far, Fee: money(12.5), Often: ptr(8.0)},
		"sand": {Order: 2, Name: "Sand", Rate: money(10), Fee: money(12)},
		"peat": {Order: 3, Name: "Peat"},
	}}
	v := 1000.0
	w := cost.WaysOf(m, "t", cost.Known{Build: &v})
	if clay := w.Jobs[0]; clay.ID != "clay" || clay.Left.Value != 47.6 || clay.Pays.Value != 22 || math.Abs(clay.Year.Value-380.8) > 1e-9 {
		t.Errorf("%+v", clay)
	}
	if sand := w.Jobs[1]; sand.Left.Value != -2 || !strings.Contains(texts(sand.Says), "£2 more than it pays") {
		t.Errorf("%s", texts(sand.Says))
	}
	if peat := w.Jobs[2]; len(peat.Needs) != 1 || peat.Left != nil {
		t.Errorf("%+v", peat)
	}
}

func ptr(v float64) *float64 { return &v }
