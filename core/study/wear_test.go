package study_test

import (
	"testing"

	"zygonos/core/internal/sample"
	"zygonos/core/study"
)

// By hand: bearings greased on 1 April are due a year later, tyres made in 2019 six years on; brakes after 5000 km; what was never
// seen to is not known, and what the trailer lacks is not asked.
func TestWear(t *testing.T) {
	p := sample.Plan(t, "/trailers/t/brakes", `"overrun"`)
	all := logged(t, map[string]string{
		"wear-1": `{"kind":"wear","on":"2026-04-01","wear":{"what":"bearings"}}`, "wear-2": `{"kind":"wear","on":"2019-05-01","wear":{"what":"tyres"}}`,
		"wear-3": `{"kind":"wear","on":"2026-04-01","wear":{"what":"brakes"}}`, "wear-4": `{"kind":"wear","on":"2024-04-01","wear":{"what":"bearings"}}`,
		"wear-5": `{"kind":"wear","on":"2027-04-01","wear":{"what":"nuts"}}`, // still to come
		"trip-1": `{"kind":"trip","on":"2026-05-01","trip":{"far":4600000}}`, "trip-0": `{"kind":"trip","on":"2026-03-01","trip":{"far":9000000}}`,
	})
	at := func(today string) map[string]study.WearRow {
		out := map[string]study.WearRow{}
		for _, r := range study.Wear(p, "t", all, today) {
			out[r.ID] = r
		}
		return out
	}
	now := at("2026-06-01")
	for id, want := range map[string]string{"bearings": "good", "tyres": "over", "brakes": "soon", "nuts": "unknown", "straps": "unknown"} {
		if now[id].State != want {
			t.Errorf("%s: %+v, want %s", id, now[id], want)
		}
	}
	if b := now["bearings"]; b.Due != "2027-04-01" || b.Since.Value != 4600e3 || b.Left.Value != 10400e3 {
		t.Errorf("%+v", b)
	}
	if s := at("2027-03-15")["bearings"].State; s != "soon" {
		t.Errorf("two weeks before its day it is %s", s)
	}
	if s := at("2027-04-02")["bearings"].State; s != "over" {
		t.Errorf("a day after it is %s", s)
	}
	if _, has := now["winch"]; has {
		t.Error("a winch that is not there")
	}
	if rows := study.Wear(p, "t", all, "2026-06-01"); rows[0].ID != "tyres" || rows[len(rows)-1].State != "good" {
		t.Errorf("%+v", rows)
	}
}
