package study_test

import (
	"fmt"
	"strings"
	"testing"

	"zygonos/core/internal/sample"
	"zygonos/core/lang/quantity"
	"zygonos/core/plan"
	"zygonos/core/records"
	"zygonos/core/study"
)

const evenings = `{"from":"2026-06-02","by":"2027-06-01","slots":{"a":{"order":1,"day":"tue","from":19,"to":21},"b":{"order":2,"day":"sat","from":9,"to":15}}}`

func kit(t *testing.T, sets ...string) *plan.Plan {
	t.Helper()
	return sample.Plan(t, append(append([]string{}, sets...), "/trailers/t/workshop", `{"begins":"kit"}`)...)
}

func day(rows []study.DayRow, id string) study.DayRow {
	for _, r := range rows {
		if r.ID == id {
			return r
		}
	}
	return study.DayRow{}
}

// The work in its days: steps in their order, within the evenings that there are, drying and deliveries waited for, and the
// time that was taken moving the rest.
func TestLayDays(t *testing.T) {
	p := kit(t, "/trailers/t/days", evenings)
	d := study.LayDays(p, "t", "o", nil, "2026-05-01", 300)
	if d.Ready == "" || !(d.Early <= d.Ready && d.Ready <= d.Late) || d.Meets != "yes" || d.Weekly != 8 || len(d.Needs) > 0 {
		t.Fatalf("%+v", d)
	}
	if first := day(d.Rows, "check-in"); first.From != "2026-06-02T19:00" {
		t.Errorf("%+v", first)
	}
	for _, s := range d.Sits {
		hours := s.From[11:13]
		if s.From[:10] != s.To[:10] || hours < "09" || hours > "21" {
			t.Errorf("a sitting from %s to %s", s.From, s.To)
		}
	}
	if again := study.LayDays(p, "t", "o", nil, "2026-05-01", 300); again.Late != d.Late {
		t.Error("another answer for the same")
	}
	if later := study.LayDays(p, "t", "o", nil, "2026-09-01", 300); later.From != "2026-09-01" || later.Ready <= d.Ready {
		t.Errorf("begun in September: %+v", later.From)
	}
	// an axle that comes in August holds up all behind it
	comes := strings.Replace(evenings, `"slots"`, `"comes":{"x":{"order":1,"name":"Axle","on":"2026-08-15","step":"axle"},"y":{"order":2,"name":"Sail","on":"2026-08-15","step":"mast"}},"slots"`, 1)
	held := study.LayDays(kit(t, "/trailers/t/days", comes), "t", "o", nil, "2026-05-01", 100)
	if got := day(held.Rows, "axle").From; got < "2026-08-15T09" || held.Ready <= d.Ready || len(held.Wrong) != 1 {
		t.Errorf("axle on %s, %v", got, held.Wrong)
	}
	// paint that dries is waited for: each of three coats
	painted := study.LayDays(kit(t, "/trailers/t/days", evenings, "/trailers/t/finish", `{"way":"paint","coats":3}`), "t", "o", nil, "2026-05-01", 100)
	one, two := day(painted.Rows, "coat-1"), day(painted.Rows, "coat-2")
	if one.Dry == "" || two.From < one.Dry {
		t.Errorf("%+v then %+v", one, two)
	}
	// three steps that took twice as long make the rest longer
	all := records.All{}
	for id, minutes := range map[string]string{"check-in": "120", "fit": "240", "square": "55"} {
		r, err := records.Merge(nil, []byte(`{"kind":"step","trailer":"t","step":{"done":true,"minutes":`+minutes+`}}`))
		if err != nil {
			t.Fatal(err)
		}
		all["step-t-"+id] = r
	}
	slow := study.LayDays(p, "t", "o", all, "2026-05-01", 100)
	if slow.Pace == nil || *slow.Pace < 1.5 || !day(slow.Rows, "fit").Done || day(slow.Rows, "fit").From != "" || day(slow.Rows, "axle").Hours <= day(d.Rows, "axle").Hours {
		t.Errorf("%+v", slow.Pace)
	}
	// a step that is done holds nothing up, though its delivery was stated for later; what overlaps in the week counts once
	fitted := records.All{"step-t-axle": all["step-t-fit"], "step-t-check-in": all["step-t-check-in"]}
	early := study.LayDays(kit(t, "/trailers/t/days", comes), "t", "o", fitted, "2026-05-01", 100)
	if early.Ready == "" || early.Ready[:10] >= "2026-08-15" {
		t.Errorf("ready %s", early.Ready)
	}
	twice := strings.Replace(evenings, `"b":`, `"c":{"order":3,"day":"tue","from":20,"to":22},"b":`, 1)
	if got := study.LayDays(kit(t, "/trailers/t/days", twice), "t", "o", nil, "2026-05-01", 100); got.Weekly != 9 {
		t.Errorf("19 to 21 and 20 to 22 on Tuesday and six hours on Saturday: %v a week", got.Weekly)
	}
	for _, c := range []struct{ doc, says string }{
		{`{}`, "laid into days"},
		{strings.Replace(evenings, "2027-06-01", "2026-06-03", 1), "not ready in time"},
	} {
		got := study.LayDays(kit(t, "/trailers/t/days", c.doc), "t", "o", nil, "2026-06-02", 100)
		if says := got.Says.Text(quantity.Locale{}); !strings.Contains(says, c.says) {
			t.Errorf("%s: %s", c.doc, says)
		}
	}
	if none := study.LayDays(sample.Plan(t), "t", "o", nil, "2026-06-02", 100); len(none.Rows) != 0 {
		t.Errorf("%+v", none)
	}
}

// Steps that are too many to be laid keep it Not known when it is ready, never ready too soon.
func TestDaysBeyond(t *testing.T) {
	p := kit(t, "/trailers/t/days", evenings)
	all := records.All{}
	for i := range 1001 {
		r, err := records.Merge(nil, []byte(`{"kind":"step","trailer":"t","step":{"says":"Thing","guess":1}}`))
		if err != nil {
			t.Fatal(err)
		}
		all[fmt.Sprintf("own-%04d", i)] = r
	}
	d := study.LayDays(p, "t", "o", all, "2026-05-01", 20)
	if d.Meets != "" || d.Ready != "" || d.Late != "" || !strings.Contains(saidText(d.Says), "1 of your steps") {
		t.Errorf("%s %s %s", d.Meets, d.Ready, saidText(d.Says))
	}
}
