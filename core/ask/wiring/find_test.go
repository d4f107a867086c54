package wiring_test

import (
	"slices"
	"testing"

	"zygonos/core/ask/wiring"
	"zygonos/core/rig"
)

// harnesses are three: bulbs on a wire of their own, bulbs earthed to the frame on 4 poles, LED units.
func harnesses(t *testing.T) map[string]*rig.Rig {
	return map[string]*rig.Rig{
		"13 poles, bulbs":         with(t, "pin-13", usualLamps(false, "fog", "reverse")),
		"4 poles, through frame":  with(t, "flat-4", usualLamps(false)+`,"earthFrame":true`),
		"7 flat, LED":             with(t, "flat-7", usualLamps(true, "reverse")),
		"7 pins, bulbs, no extra": with(t, "pin-7", usualLamps(false)),
	}
}

// Fed question by question with what a fault does, the finder names it, or one that nothing tells apart from it.
func TestFinderNamesEachFault(t *testing.T) {
	for name, r := range harnesses(t) {
		h := wiring.New(r)
		tests, faults := 0, 0
		for _, f := range h.Faults() {
			var answers []wiring.Answer
			var d *wiring.Diagnosis
			for range 40 {
				d = h.Find(answers)
				if d.Next == nil {
					break
				}
				answers = append(answers, wiring.Simulate(h, &f, d.Next))
			}
			tests += len(answers)
			faults++
			if at := wiring.RankOf(h, d, &f); at != 0 {
				t.Errorf("%s: %s is at %d after %d answers: %+v", name, wiring.Named(h, &f), at, len(answers), d.Says)
			}
		}
		t.Logf("%s: %d faults, %.1f tests each", name, faults, float64(tests)/float64(faults))
	}
}

// With every look told at once and one of them wrong, a fault that can be seen at all is among the first three.
func TestOneAnswerWrong(t *testing.T) {
	for name, r := range harnesses(t) {
		h := wiring.New(r)
		healthy := wiring.Looks(h, nil)
		for k, f := range h.Faults() {
			answers := wiring.Looks(h, &f)
			if slices.Equal(answers, healthy) {
				continue
			}
			wrong := &answers[(k*7)%len(answers)]
			wrong.Level = map[wiring.Level]wiring.Level{wiring.LevelOff: wiring.LevelDim, wiring.LevelDim: wiring.LevelBright, wiring.LevelBright: wiring.LevelDim}[wrong.Level]
			if at := wiring.RankOf(h, h.Find(answers), &f); at < 0 || at > 2 {
				t.Errorf("%s: %s is at %d", name, wiring.Named(h, &f), at)
			}
		}
	}
}

// A lost earth of the right lamps on bulbs: the right turn finds its way back through the tail lamps: they glow.
func TestBackFeed(t *testing.T) {
	h := wiring.New(harnesses(t)["7 pins, bulbs, no extra"])
	for _, f := range h.Faults() {
		if f.Kind != wiring.FaultLampEarth || wiring.Named(h, &f) != "the earth of the right lamps is lost" {
			continue
		}
		glow := 0
		for _, a := range wiring.Looks(h, &f) {
			if a.Switch == wiring.SwitchRight && a.Lamp != "rturn" && a.Level != wiring.LevelOff {
				glow++
			}
		}
		if glow == 0 {
			t.Error("nothing glows with the right earth lost")
		}
		return
	}
	t.Error("no such fault")
}

func BenchmarkFaults(b *testing.B) {
	h := wiring.New(with(&testing.T{}, "pin-13", usualLamps(false, "fog", "reverse")))
	for b.Loop() {
		h.Find(nil)
	}
}
