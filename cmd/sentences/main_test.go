package main

import (
	"strings"
	"testing"
)

// The sentences of core and interface come with their fields filled, in each region's words.
func TestSentences(t *testing.T) {
	for what, wants := range map[string][]string{
		"core": {"Left 412 kg and right 412 kg: even enough.\n\tLeft 908 lb and right 908 lb", "Noseweight on the scale\n\tTongue weight on the scale\n\tBall weight on the scale"},
		"ui":   {"Open a plan file", "What do you carry?", "Weigh or find next"},
	} {
		var b strings.Builder
		if err := run(&b, "../..", what); err != nil {
			t.Fatal(err)
		}
		for _, w := range wants {
			if !strings.Contains(b.String(), w) {
				t.Errorf("%s: %q is missing", what, w)
			}
		}
		if n := strings.Count(b.String(), "\n"); n < 500 {
			t.Errorf("%s: %d lines only", what, n)
		}
	}
	if err := run(&strings.Builder{}, t.TempDir(), ""); err == nil {
		t.Error("a directory without sources goes by in silence")
	}
}
