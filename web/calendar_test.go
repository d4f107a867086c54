package web

import (
	"os"
	"strings"
	"testing"

	"zygonos/core/lang/said"
	"zygonos/core/plan"
	"zygonos/core/study"
)

// The days as a calendar: floating times, an alarm each, what comes as a whole day. The file beside it is read back by the
// interface's own tests with another program.
func TestDaysCalendar(t *testing.T) {
	p := &plan.Plan{Name: "Lock trailer; a name, with marks"}
	days := &study.WorkDays{
		Sits: []study.Sitting{
			{From: "2026-03-28T19:00", To: "2026-03-28T21:30", Steps: []said.Sentence{said.Say("Cut 10 members, deburr; mark each."), said.Say("Stands level.")}},
			{From: "2026-03-29T09:00", To: "2026-03-29T15:00", Steps: []said.Sentence{said.Say("Tack every joint.")}, Two: true},
		},
		Comes: []plan.DayComing{{Name: "Axle with hubs", On: "2026-04-01"}},
	}
	got := daysICS(p, days, "2026-03-20")
	for _, line := range strings.Split(strings.TrimSuffix(got, "\r\n"), "\r\n") {
		if strings.ContainsAny(line, "\r\n") || len(line) > 75 {
			t.Errorf("a line of %d: %q", len(line), line)
		}
	}
	const golden = "testdata/days.ics"
	if os.Getenv("UPDATE") != "" {
		if err := os.MkdirAll("testdata", 0o755); err != nil {
			t.Fatal(err)
		}
		if err := os.WriteFile(golden, []byte(got), 0o644); err != nil {
			t.Fatal(err)
		}
	}
	want, err := os.ReadFile(golden)
	if err != nil || got != string(want) {
		t.Errorf("%v\n%s", err, got)
	}
}
