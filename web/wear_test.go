package web

import (
	"strings"
	"testing"

	"zygonos/core/lang/quantity"
	"zygonos/core/lang/said"
	"zygonos/core/study"
)

// What is due, a whole day each with an alarm a week before; what is over its time stands today; what has no day is left out; words
// are the region's.
func TestWearCalendar(t *testing.T) {
	rows := []study.WearRow{
		{ID: "tyres", Name: said.Say("{Tyre}s"), Does: said.Say("Look at them."), Due: "2026-09-01"},
		{ID: "bearings", Name: said.Say("Wheel bearings"), Does: said.Say("Grease, feel for play."), Due: "2026-01-01"},
		{ID: "nuts", Name: said.Say("Wheel nuts"), Does: said.Say("Tighten.")},
	}
	got := wearICS("Grey; flatbed", rows, "2026-05-01", quantity.Locale{Region: quantity.NorthAmerica})
	for _, want := range []string{
		"SUMMARY:Grey\\; flatbed: Tires", "DTSTART;VALUE=DATE:20260901", "DTEND;VALUE=DATE:20260902", "TRIGGER:-P7D",
		"DTSTART;VALUE=DATE:20260501", "UID:wear-bearings-20260101@zygonos",
	} {
		if !strings.Contains(got, want) {
			t.Errorf("%q is missing in\n%s", want, got)
		}
	}
	if strings.Count(got, "BEGIN:VEVENT") != 2 {
		t.Errorf("%s", got)
	}
	for _, line := range strings.Split(strings.TrimSuffix(got, "\r\n"), "\r\n") {
		if strings.ContainsAny(line, "\r\n") || len(line) > 75 {
			t.Errorf("a line of %d: %q", len(line), line)
		}
	}
}
