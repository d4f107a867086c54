package study_test

import (
	"fmt"
	"math"
	"slices"
	"strings"
	"testing"

	"zygonos/core/internal/sample"
	"zygonos/core/plan"
	"zygonos/core/records"
	"zygonos/core/study"
)

const petrol = `{"by":"petrol","burns":6,"at":25,"price":1.5}`

// The sum for 100 km with 400 kg is 7.679 l (docs/method/energy.md): trips that took 10 % more teach 10 % more, and what is learned
// goes into the plan once.
func TestFuelTeaches(t *testing.T) {
	p := sample.Plan(t, "/towVehicles/car/thirst", petrol, "/outings/o/distance", "100000", "/outings/o/speed", "25")
	docs := map[string]string{}
	for i := range 6 {
		docs[fmt.Sprintf("trip-%d", i)] = fmt.Sprintf(`{"kind":"trip","on":"2026-04-0%d","trip":{"outing":"o","far":100000,"load":400,"fuel":%v}}`,
			i+1, 7.679*1.1)
	}
	docs["trip-far"] = `{"kind":"trip","on":"2026-04-09","trip":{"outing":"o","far":100000,"load":400,"fuel":30}}`
	all := logged(t, docs)
	d := study.DrivesOf(p, "t", "o", all, "2026-05-01")
	l := d.Learned
	if l == nil || len(l.Used) != 6 || !slices.Equal(l.Out, []string{"trip-far"}) {
		t.Fatalf("%+v", l)
	}
	// 6 readings of 1.1 with √(0.08² + 0.055²) = 0.0971 against 1.025 ± 0.1375: (1.025/0.0189 + 6·1.1/0.00943)/(1/0.0189 + 6/0.00943)
	if math.Abs(l.Mean.Value-1.0942) > 0.001 {
		t.Errorf("%v", l.Mean.Value)
	}
	next, err := plan.Apply(p, l.Use)
	if err != nil {
		t.Fatal(err)
	}
	again := study.DrivesOf(next, "t", "o", all, "2026-05-01")
	if len(again.Learned.Use) != 0 || math.Abs(again.Trip.Whole.Value/d.Trip.Whole.Value-1.09) > 1e-6 {
		t.Errorf("%+v %v", again.Learned, again.Trip.Whole.Value)
	}
	b := study.Log(p, "t", all, "2026-05-01")
	if says := saidText(b.Trips[1].Off); !strings.Contains(says, "Fuel 10 % over the sum") {
		t.Errorf("%q", says)
	}
}

// Cars side by side: the outing's own is as it stands alone, each needs its own figures.
func TestCarsSideBySide(t *testing.T) {
	p := sample.Plan(t, "/towVehicles/car/thirst", petrol, "/outings/o/distance", "100000",
		"/towVehicles/b", `{"order":2,"name":"B","kerb":{"value":1900,"how":"plate"},"thirst":{"by":"electric","draws":20,"battery":50}}`,
		"/towVehicles/c", `{"order":3,"name":"C"}`)
	d := study.DrivesOf(p, "t", "o", nil, "")
	if len(d.Cars) != 3 || d.Cars[0].Whole.Value != d.Trip.Whole.Value || d.Cars[1].Range == nil || len(d.Cars[2].Needs) == 0 {
		t.Errorf("%+v", d.Cars)
	}
	if d.Two == nil || d.Two.Value <= d.One.Value {
		t.Errorf("%+v %+v", d.One, d.Two)
	}
}

// The empty trailer and a load are learned from slips: by hand (450²-free) 420 of three slips within 10 kg each against 400 ± 50.
func TestMassesTeach(t *testing.T) {
	p := sample.Plan(t)
	all := logged(t, map[string]string{
		"slip-1": `{"kind":"slip","on":"2026-04-01","slip":{"load":"crate","full":670,"empty":250,"alone":true}}`,
		"slip-2": `{"kind":"slip","on":"2026-04-02","slip":{"load":"crate","full":672,"empty":252,"alone":true}}`,
		"slip-3": `{"kind":"slip","on":"2026-04-03","slip":{"load":"crate","full":250,"empty":670,"alone":true}}`,
	})
	b := study.Log(p, "t", all, "2026-05-01")
	if len(b.Masses) != 2 || len(b.Slips[0].Wrong) == 0 {
		t.Fatalf("%+v", b.Masses)
	}
	empty, load := b.Masses[0], b.Masses[1]
	if math.Abs(empty.Mean.Value-251) > 1 || empty.Slips != 2 || math.Abs(load.Mean.Value-418) > 3 || load.Slips != 2 {
		t.Errorf("%+v %+v", empty.Mean, load.Mean)
	}
	next, err := plan.Apply(p, load.Use)
	if err != nil {
		t.Fatal(err)
	}
	if m := next.Loads["crate"].Mass; m.How != plan.Learned || m.Slips != 2 || math.Abs(float64(m.Value)-load.Mean.Value) > 0.5 {
		t.Errorf("%+v", m)
	}
	for _, m := range study.Log(next, "t", all, "2026-05-01").Masses {
		if m.Path == "/loads/crate/mass" && math.Abs(m.Mean.Value-load.Mean.Value) < 1 && len(m.Use) != 0 {
			t.Errorf("it is offered again: %+v", m.Use)
		}
	}
}

// A mileage that goes back is named, and one that is right is not.
func TestMileage(t *testing.T) {
	all := logged(t, map[string]string{
		"trip-1": `{"kind":"trip","on":"2026-04-01","trip":{"mileage":84000000}}`,
		"trip-2": `{"kind":"trip","on":"2026-04-03","trip":{"mileage":83000000}}`,
		"trip-3": `{"kind":"trip","on":"2026-04-04","trip":{"mileage":84200000}}`,
	})
	b := study.Log(sample.Plan(t), "t", all, "2026-05-01")
	for i, want := range []bool{false, true, false} { // the latest first
		if got := len(b.Trips[i].Warns) > 0; got != want {
			t.Errorf("%s: %v", b.Trips[i].Record, saidText(b.Trips[i].Warns))
		}
	}
}

// Bearings are due after one dip of the hubs, pins after so many tips, straps after so many loads.
func TestWearByUse(t *testing.T) {
	p := sample.Plan(t, "/trailers/t/tipping", "{}")
	docs := map[string]string{}
	for _, what := range []string{"bearings", "pins", "straps", "coupling"} {
		docs["wear-"+what] = `{"kind":"wear","on":"2026-04-01","wear":{"what":"` + what + `"}}`
	}
	state := func(trip string) map[string]string {
		docs["trip-1"] = `{"kind":"trip","on":"2026-04-10","trip":` + trip + `}`
		out := map[string]string{}
		for _, r := range study.Wear(p, "t", logged(t, docs), "2026-05-01") {
			out[r.ID] = r.State
			if (r.State == "over" || r.State == "soon") != (len(r.Why) > 0) {
				t.Errorf("%s is %s: %q", r.ID, r.State, saidText(r.Why))
			}
		}
		return out
	}
	if s := state(`{"far":50000}`); s["bearings"] != "good" || s["pins"] != "good" {
		t.Errorf("%v", s)
	}
	if s := state(`{"dips":1,"tips":190}`); s["bearings"] != "over" || s["pins"] != "soon" || s["coupling"] != "good" {
		t.Errorf("%v", s)
	}
	if s := state(`{"tips":200}`); s["pins"] != "over" {
		t.Errorf("%v", s)
	}
}

// A look back adds up months without gaps; what is to come is not in it.
func TestLookBack(t *testing.T) {
	all := logged(t, map[string]string{
		"trip-1":  `{"kind":"trip","on":"2026-01-05","trip":{"far":40000,"load":300,"fuel":4}}`,
		"trip-2":  `{"kind":"trip","on":"2026-03-05","trip":{"far":60000,"load":500}}`,
		"trip-3":  `{"kind":"trip","on":"2027-03-05","trip":{"far":60000,"load":500}}`,
		"spend-1": `{"kind":"spend","on":"2026-01-20","spend":{"what":"Paint","spent":100,"tax":0.2,"taxOn":true}}`,
		"wear-1":  `{"kind":"wear","on":"2026-03-20","wear":{"what":"bearings","cost":30}}`,
		"wear-0":  `{"kind":"wear","on":"2026-01-01","wear":{"what":"bearings"}}`,
	})
	b := study.Back(sample.Plan(t), "t", all, "2026-05-01")
	if len(b.Months) != 3 || b.Months[1] != (study.MonthRow{Month: "2026-02"}) {
		t.Fatalf("%+v", b.Months)
	}
	if m := b.Months[0]; m.Far != 40000 || m.Carried != 300 || m.Spent != 120 || m.Fuel != 4 || m.Trips != 1 {
		t.Errorf("%+v", m)
	}
	if m := b.Months[2]; m.Spent != 30 || m.Trips != 1 {
		t.Errorf("%+v", m)
	}
	all["trip-0"] = logged(t, map[string]string{"x": `{"kind":"trip","on":"2021-07-05","trip":{"far":1000}}`})["x"]
	if years := study.Back(sample.Plan(t), "t", all, "2026-05-01").Months; len(years) != 6 || years[0].Month != "2021" || years[5].Far != 100000 {
		t.Errorf("%+v", years)
	}
	if len(b.Worn) != 2 || b.Worn[0].Far.Value != 100000 || b.Worn[0].Cost.Value != 30 {
		t.Errorf("%+v", b.Worn)
	}
	if says := saidText(b.Says); says != "2 trips in 3 months: 100 km, 800 kg carried." {
		t.Error(says)
	}
}

// Plan and trips answer looks of their own: too little on the ball as it was read, hubs of unlike heat, bearings over their time.
func TestTroubleHints(t *testing.T) {
	p := sample.Plan(t)
	all := logged(t, map[string]string{
		"trouble-1": `{"kind":"trouble","on":"2026-04-20","trouble":{"signs":{"snakes":true}}}`,
		"trip-1":    `{"kind":"trip","on":"2026-04-10","trip":{"ballRead":20,"hubLeft":30,"hubRight":70}}`,
		"wear-1":    `{"kind":"wear","on":"2020-04-10","wear":{"what":"bearings"}}`,
	})
	rows := study.TroublesOf(p, "t", "o", all, "2026-05-01").Rows
	if len(rows) != 1 || len(rows[0].Opinion.Stop) == 0 || rows[0].Opinion.Suspects[0].ID != "low-ball" {
		t.Fatalf("%+v", rows)
	}
	looks := map[string]bool{}
	for _, h := range rows[0].Opinion.Hints {
		looks[h.Look] = h.Yes
	}
	if !looks["ballLow"] || !looks["wheelStiff"] || !looks["play"] {
		t.Errorf("%v", looks)
	}
	if got := study.TroublesOf(p, "t", "o", records.All{}, ""); len(got.Rows) != 0 {
		t.Errorf("%+v", got)
	}
	// read within its window, the ball speaks against that cause
	*all["trip-1"].Trip.BallRead = 60
	for _, s := range study.TroublesOf(p, "t", "o", all, "2026-05-01").Rows[0].Opinion.Suspects {
		if s.ID == "low-ball" && (len(s.Against) == 0 || s.Likely.Value > 0.5) {
			t.Errorf("%+v", s)
		}
	}
}
