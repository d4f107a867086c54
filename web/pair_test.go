package web

import (
	"context"
	"encoding/base64"
	"strings"
	"testing"
	"time"

	"zygonos/core/out/departure"
	"zygonos/core/plan"
	"zygonos/core/review"
	"zygonos/demo"
)

// A code pairs once, within its time; others do not.
func TestCodes(t *testing.T) {
	now := time.Date(2026, 5, 1, 14, 0, 0, 0, time.UTC)
	k := codes{now: func() time.Time { return now }}
	first, err := k.fresh()
	if err != nil || len(first) != 6 {
		t.Fatalf("%q %v", first, err)
	}
	if k.take("") || k.take("abcdef") {
		t.Error("a code that was not given pairs")
	}
	if !k.take(first) || k.take(first) {
		t.Error("a code pairs once")
	}
	late, _ := k.fresh()
	now = now.Add(pairFor + time.Second)
	if k.take(late) {
		t.Error("a code pairs after its time")
	}
	old, _ := k.fresh()
	now = now.Add(time.Second)
	if newer, _ := k.fresh(); old != newer && k.take(old) || !k.take(newer) { // one is open at a time
		t.Error("an older code pairs beside a newer one")
	}
}

func TestAddresses(t *testing.T) {
	for host, want := range map[string]string{"192.168.1.20:8484": "http://192.168.1.20:8484", "garage.lan:8484": "http://garage.lan:8484", "garage.lan": "http://garage.lan:80"} {
		if got := Addresses(host); len(got) != 1 || got[0] != want {
			t.Errorf("%s: %v", host, got)
		}
	}
	for _, a := range Addresses("127.0.0.1:8484") { // private ones, or itself where there are none
		if !strings.HasPrefix(a, "http://") || !strings.HasSuffix(a, ":8484") {
			t.Error(a)
		}
	}
	picture, err := qrOf("http://192.168.1.20:8484/plan/x/road?pair=123456")
	svg, derr := base64.StdEncoding.DecodeString(strings.TrimPrefix(picture, "data:image/svg+xml;base64,"))
	// A finder pattern stands in the corner, four modules in: seven dark ones in its first row.
	if err != nil || derr != nil || !strings.Contains(string(svg), "M4 4h1v1h-1zM5 4h1v1h-1z") || strings.Contains(string(svg), "M3 4h") {
		t.Errorf("%v %v %.200s", err, derr, svg)
	}
}

// The card as a file says what the card says, ticks as of the newest day, and has no script.
func TestCardFile(t *testing.T) {
	data, err := demo.Files.ReadFile("skarrow-hut.zygonos.json")
	if err != nil {
		t.Fatal(err)
	}
	p, err := plan.Read(data)
	if err != nil {
		t.Fatal(err)
	}
	plan.Clean(p)
	out := p.Outings["boat-day"]
	out.Departures = map[string]plan.Departed{"a": {Order: 1, On: "2026-05-01"}, "b": {Order: 2, On: "2026-05-02", Ticks: map[string]bool{"latch": true}}}
	out.Name = "Boats <today>"
	p.Outings["boat-day"] = out
	rep := departure.Settle(context.Background(), p, review.Request{Outing: "boat-day"})
	f := cardOf(p, rep, time.Date(2026, 5, 2, 14, 5, 0, 0, time.UTC))
	if f == nil || f.When != "figures as of 2026-05-02 14:05" || len(f.Sections) != len(rep.Card.Sections) || len(f.Gate) != len(rep.Card.Gate) {
		t.Fatalf("%+v", f)
	}
	var b strings.Builder
	if err := cardTemplate.Execute(&b, f); err != nil {
		t.Fatal(err)
	}
	page := b.String()
	for _, want := range []string{"Boats &lt;today&gt;", `checked><span>Coupling head latched`, "<svg ", "Not known"} {
		if !strings.Contains(page, want) {
			t.Errorf("no %q", want)
		}
	}
	if strings.Count(page, " checked>") != 1 || strings.Contains(page, "<script") || strings.Contains(page, "<today>") {
		t.Error("ticks, script or markup of a name")
	}
	if cardOf(p, &departure.Settled{Report: &review.Report{}}, time.Now()) != nil {
		t.Error("no card, and a file")
	}
}
