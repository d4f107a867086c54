package study_test

import (
	"math"
	"strings"
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

// By hand: 5 mm in April, 4 mm in June after 2000 km wear 0.5 mm in 1000 km; to 1.6 mm are 4800 km, of which
// 1000 were driven since: 3800 are left, less than the 4000 to the next look. At 1.6 mm it is over, at 3 mm
// soon; a tick without a depth is not known, and of two on one day the shallower counts.
func TestTread(t *testing.T) {
	p := sample.Plan(t)
	row := func(today string, docs map[string]string) study.WearRow {
		for _, r := range study.Wear(p, "t", logged(t, docs), today) {
			if r.ID == "tread" {
				return r
			}
		}
		t.Fatal("no tread")
		return study.WearRow{}
	}
	read := func(on, depth string) string {
		return `{"kind":"wear","on":"` + on + `","wear":{"what":"tread"` + depth + `}}`
	}
	two := map[string]string{
		"wear-1": read("2026-04-01", `,"tread":0.005`), "wear-2": read("2026-06-01", `,"tread":0.004`), "wear-3": read("2026-06-01", `,"tread":0.0046`),
		"trip-1": `{"kind":"trip","on":"2026-05-01","trip":{"far":2000000}}`, "trip-2": `{"kind":"trip","on":"2026-06-05","trip":{"far":1000000}}`,
	}
	if r := row("2026-06-10", two); r.State != "good" || r.Left == nil || math.Abs(r.Left.Value-3800e3) > 1 {
		t.Errorf("%+v", r)
	}
	two["trip-2"] = `{"kind":"trip","on":"2026-06-05","trip":{"far":4200000}}`
	if r := row("2026-06-10", two); r.State != "good" || math.Abs(r.Left.Value-600e3) > 1 {
		t.Errorf("%+v", r)
	}
	two["trip-2"] = `{"kind":"trip","on":"2026-06-05","trip":{"far":4800000}}`
	if r := row("2026-06-10", two); r.State != "over" || r.Left.Value > 1 {
		t.Errorf("%+v", r)
	}
	// 1500 km of the 2000 on the very day of the reading may have come after it: 0.001 m went in 500 km, to 1.6 mm
	// are 1200, all of them driven by the second trip
	two["trip-1"] = `{"kind":"trip","on":"2026-05-01","trip":{"far":500000}}`
	two["trip-3"] = `{"kind":"trip","on":"2026-06-01","trip":{"far":1500000}}`
	two["trip-2"] = `{"kind":"trip","on":"2026-06-05","trip":{"far":100000}}`
	if r := row("2026-06-10", two); r.State != "over" || r.Left.Value > 1 {
		t.Errorf("%+v", r)
	}
	for _, c := range []struct{ depth, want, says string }{
		{`,"tread":0.0016`, "over", "1.6"}, {`,"tread":0.0017`, "soon", "1.7"}, {`,"tread":0.003`, "soon", "3"}, {`,"tread":0.0031`, "good", ""},
		{"", "unknown", "shallowest groove"}, {`,"tread":0`, "over", "minimum"},
	} {
		r := row("2026-06-10", map[string]string{"wear-1": read("2026-06-01", c.depth)})
		if r.State != c.want || !strings.Contains(saidText(r.Why), c.says) {
			t.Errorf("%s: %s %q", c.depth, r.State, saidText(r.Why))
		}
	}
	if r := row("2026-06-10", nil); r.State != "unknown" || !r.Reads {
		t.Errorf("%+v", r)
	}
}
