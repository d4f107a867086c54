package practice_test

import (
	"testing"

	"zygonos/core/practice"
)

// Right four days in a row as it comes due: boxes one to four, due after 1, 2, 4 and 9 days; wrong, it begins again.
func TestSpacing(t *testing.T) {
	p := practice.Tidy(nil)
	day := "2026-03-01"
	for i, due := range []string{"2026-03-02", "2026-03-04", "2026-03-08", "2026-03-17"} {
		p = practice.Answered(p, "ball", day, true)
		k := p.Topics["ball"]
		if k.Box != i+1 || k.Due != due {
			t.Fatalf("%d: %+v, due %s", i, k, due)
		}
		if again := practice.Answered(p, "ball", day, true).Topics["ball"]; again.Box != k.Box || again.Due != k.Due {
			t.Errorf("a second right answer that day: %+v", again)
		}
		day = due
	}
	if l := practice.LevelOf(p.Topics["ball"].Box); l != 3 {
		t.Errorf("level %d", l)
	}
	p = practice.Answered(p, "ball", day, false)
	if k := p.Topics["ball"]; k.Box != 0 || k.Due != day || k.Right != 4 || k.Wrong != 1 {
		t.Errorf("%+v", k)
	}
	if len(p.Days) != 5 || p.Seeds != 5 {
		t.Errorf("%+v", p)
	}
}

// What is due comes first, the lowest box of it; each answer deals another case; every topic comes in time.
func TestNext(t *testing.T) {
	p := practice.Tidy(nil)
	seen, seeds := map[string]int{}, map[uint64]bool{}
	for range practice.Topics() {
		s := practice.Next(p, "2026-03-01", "")
		seen[s.Topic]++
		seeds[s.Seed] = true
		p = practice.Answered(p, s.Topic, "2026-03-01", true)
	}
	if len(seen) != len(practice.Topics()) || len(seeds) != len(seen) {
		t.Errorf("%v %v", seen, seeds)
	}
	if s := practice.Next(p, "2026-03-01", ""); text(s.Says) != "Nothing is due today. More practice does no harm." {
		t.Error(text(s.Says))
	}
	p = practice.Answered(p, "ramp", "2026-03-01", false)
	if s := practice.Next(p, "2026-03-01", ""); s.Topic != "ramp" {
		t.Errorf("%+v", s)
	}
	if s := practice.Next(p, "2026-03-01", "square"); s.Topic != "square" {
		t.Errorf("%+v", s)
	}
}

// What comes from a device is put right before it is used.
func TestTidy(t *testing.T) {
	p := practice.Tidy(&practice.Progress{
		Topics: map[string]practice.Known{"ball": {Box: 99, Due: "soon", Right: -3}, "dancing": {Box: 1}},
		Days:   []practice.Day{{On: "x"}, {On: "2026-03-01", Right: 2}},
	})
	if k := p.Topics["ball"]; k.Box != 5 || k.Due != "" || k.Right != 0 || len(p.Topics) != 1 || len(p.Days) != 1 {
		t.Errorf("%+v", p)
	}
}
