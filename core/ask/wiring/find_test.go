package wiring_test

import (
	"slices"
	"strings"
	"testing"

	"zygonos/core/ask/wiring"
	"zygonos/core/internal/sample"
	"zygonos/core/lang/finding"
	"zygonos/core/lang/quantity"
	"zygonos/core/rig"
)

// harnesses are three: bulbs on a wire of their own, bulbs earthed to the frame on 4 poles, LED units.
func harnesses(t *testing.T) map[string]*rig.Rig {
	return map[string]*rig.Rig{
		"13 poles, bulbs":         with(t, "pin-13", usualLamps(false, "fog", "reverse")),
		"4 poles, through frame":  with(t, "flat-4", usualLamps(false)+`,"earthFrame":true`),
		"7 flat, LED":             with(t, "flat-7", usualLamps(true, "reverse")),
		"4 on 13, by a converter": with(t, "flat-4", usualLamps(false)+`,"converter":true`, "/towVehicles/car/socket", `"pin-13"`),
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

// With every look stated at once and one of them wrong or passed over, a fault that can be seen at all is among the first
// three; but for one that shows in a single look, when that look is the wrong one: nothing speaks for it then.
func TestOneAnswerWrong(t *testing.T) {
	for name, r := range harnesses(t) {
		h := wiring.New(r)
		healthy := wiring.Looks(h, nil)
		for k, f := range h.Faults() {
			answers := wiring.Looks(h, &f)
			if slices.Equal(answers, healthy) {
				continue
			}
			at := (k * 7) % len(answers)
			others := slices.Clone(answers)
			others[at] = healthy[at]
			if slices.Equal(others, healthy) {
				continue
			}
			wrong := &answers[at]
			skipped := slices.Delete(slices.Clone(answers), at, at+1)
			if at := wiring.RankOf(h, h.Find(skipped), &f); at < 0 || at > 2 {
				t.Errorf("%s: one passed over: %s is at %d", name, wiring.Named(h, &f), at)
			}
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

// The car's own socket and a converter: stop and turn by lamps of their own at the car, joined on the trailer. Through a
// working one each switch lights what it should; without it the brake shows nothing. The other way round the brake
// comes in by the turn lamps. A fog lamp that the socket has no contact for stays dark, and that is stated.
func TestAdapter(t *testing.T) {
	for _, c := range []struct {
		socket, plug, more string
		want               finding.Outcome
		left, stop         []string // lamps that the switch lights
	}{
		{"pin-13", "flat-4", `,"converter":true`, finding.Holds, []string{"lstop", "lturn"}, []string{"lstop", "lturn", "rstop", "rturn"}},
		{"pin-13", "flat-4", ``, finding.Fails, []string{"lstop", "lturn"}, nil},
		{"flat-4", "pin-7", ``, finding.Fails, []string{"lturn"}, []string{"lturn", "rturn"}},
		{"flat-4", "pin-7", `,"converter":true`, finding.Tight, []string{"lturn"}, []string{"lstop", "rstop"}}, // no fog
		{"pin-7", "pin-13", ``, finding.Tight, []string{"lturn"}, []string{"lstop", "rstop"}},                  // no reverse
		{"pin-13", "pin-7", ``, finding.Holds, []string{"lturn"}, []string{"lstop", "rstop"}},
	} {
		lamps := usualLamps(false, "fog", "reverse")
		if c.plug == "pin-7" {
			lamps = usualLamps(false, "fog")
		}
		if c.plug == "flat-4" {
			lamps = usualLamps(false)
		}
		r := with(t, c.plug, lamps+c.more, "/towVehicles/car/socket", `"`+c.socket+`"`)
		f := sample.Find(t, wiring.Check(r), wiring.CodeAdapter)
		if f.Outcome != c.want {
			t.Errorf("%s on %s %s: %s %s", c.plug, c.socket, c.more, f.Outcome, f.Says.Text(quantity.Locale{}))
		}
		for s, want := range map[wiring.Switch][]string{wiring.SwitchLeft: c.left, wiring.SwitchStop: c.stop} {
			for _, l := range wiring.Show(r, []wiring.Switch{s}).Lamps {
				if on := slices.Contains(want, l.ID); on != (l.Level == wiring.LevelBright) {
					t.Errorf("%s on %s %s, %s: %s is %s", c.plug, c.socket, c.more, s, l.ID, l.Level)
				}
			}
		}
	}
	h := wiring.New(with(t, "flat-4", usualLamps(false)+`,"converter":true`, "/towVehicles/car/socket", `"pin-13"`))
	if !slices.ContainsFunc(h.Faults(), func(f wiring.Fault) bool { return f.Kind == wiring.FaultConverter }) {
		t.Error("the converter is never suspected")
	}
}

// A question more, all faults being known.
func BenchmarkQuestion(b *testing.B) {
	h := wiring.New(with(&testing.T{}, "pin-13", usualLamps(false, "fog", "reverse")))
	for b.Loop() {
		h.Find(nil)
	}
}

// All single faults of a harness under six switches: 0.3 s are aimed at.
func BenchmarkFaults(b *testing.B) {
	r := with(&testing.T{}, "pin-13", usualLamps(false, "fog", "reverse", "marker"))
	for b.Loop() {
		wiring.New(r).Find(nil)
	}
}

// Two faults at once, every look stated: asked for, the pair or one that looks alike is among the first three.
func TestTwoFaults(t *testing.T) {
	h := wiring.New(harnesses(t)["7 pins, bulbs, no extra"])
	healthy, faults := wiring.Looks(h, nil), h.Faults()
	by := func(kind wiring.FaultKind, name string) wiring.Fault {
		for _, f := range faults {
			if f.Kind == kind && wiring.Named(h, &f) == name {
				return f
			}
		}
		t.Fatalf("no %s", name)
		return wiring.Fault{}
	}
	dead := by(wiring.FaultBulb, "the left stop lamp is dead, or its own wire is off")
	earth := by(wiring.FaultLampEarth, "the earth of the right lamps is lost")
	plate := by(wiring.FaultBulb, "the plate lamp is dead, or its own wire is off")
	swap := by(wiring.FaultSwap, "the wires of pole 1, left turn (yellow) and pole 4, right turn (green) are swapped")
	for _, two := range [][]wiring.Fault{{dead, earth}, {plate, swap}, {dead, plate}, {earth, plate}} {
		var answers []wiring.Answer
		for i := range healthy {
			answers = append(answers, wiring.Simulated(h, two, &wiring.Test{Switch: healthy[i].Switch, Lamp: healthy[i].Lamp}))
		}
		d := h.FindTwo(answers)
		place := -1
		for i, s := range d.Suspects {
			for _, says := range s.Says {
				text := says.Text(quantity.Locale{})
				if strings.Contains(text, wiring.Named(h, &two[0])) && strings.Contains(text, wiring.Named(h, &two[1])) {
					place = i
				}
			}
		}
		if place < 0 || place > 2 {
			t.Errorf("%s and %s: at %d of %v", wiring.Named(h, &two[0]), wiring.Named(h, &two[1]), place, d.Suspects)
		}
	}
}
