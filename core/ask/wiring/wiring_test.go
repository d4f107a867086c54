package wiring_test

import (
	"fmt"
	"math"
	"strings"
	"testing"

	"zygonos/core/ask/wiring"
	"zygonos/core/internal/sample"
	"zygonos/core/lang/finding"
	"zygonos/core/lang/quantity"
	"zygonos/core/rig"
)

// usualLamps are a pair of tail, stop and turn, a plate lamp and what more is given, on the sample's tail.
func usualLamps(led bool, more ...string) string {
	var b strings.Builder
	b.WriteString(`"lamps":{`)
	n := 0
	add := func(id, what string, right float64) {
		if n > 0 {
			b.WriteByte(',')
		}
		n++
		fmt.Fprintf(&b, `%q:{"order":%d,"what":%q,"back":2.5,"right":%v,"height":0.6,"led":%v}`, id, n, what, right, led)
	}
	for _, side := range []struct {
		id string
		at float64
	}{{"l", -0.6}, {"r", 0.6}} {
		for _, what := range []string{"tail", "stop", "turn"} {
			add(side.id+what, what, side.at)
		}
	}
	add("plate", "plate", 0)
	for _, what := range more {
		add(what, what, -0.2)
	}
	return b.String() + "}"
}

func with(t *testing.T, plug, wiringDoc string, sets ...string) *rig.Rig {
	t.Helper()
	return rig.Resolve(sample.Plan(t, append([]string{
		"/trailers/t/plug", `"` + plug + `"`, "/trailers/t/wiring", "{" + wiringDoc + "}",
	}, sets...)...), "t", "o")
}

// What each switch lights, on three plugs: its own lamps bright, all others off.
func TestSwitches(t *testing.T) {
	for _, plug := range []string{"pin-7", "pin-13", "flat-4", "flat-7", "blade-7"} {
		r := with(t, plug, usualLamps(false, "fog", "reverse"))
		for s, want := range map[wiring.Switch][]string{
			wiring.SwitchTail: {"ltail", "rtail", "plate"}, wiring.SwitchStop: {"lstop", "rstop"}, wiring.SwitchLeft: {"lturn"}, wiring.SwitchRight: {"rturn"},
		} {
			p := wiring.Show(r, []wiring.Switch{s})
			combined := plug == "flat-4" || plug == "blade-7"
			for _, l := range p.Lamps {
				on := false
				for _, id := range want {
					on = on || l.ID == id
				}
				if combined && (l.ID == "lturn" || l.ID == "lstop") { // one pole for both
					on = s == wiring.SwitchStop || s == wiring.SwitchLeft
				}
				if combined && (l.ID == "rturn" || l.ID == "rstop") {
					on = s == wiring.SwitchStop || s == wiring.SwitchRight
				}
				if on != (l.Level == wiring.LevelBright) || !on && l.Level != wiring.LevelOff {
					t.Errorf("%s %s: %s is %s (%.2f)", plug, s, l.ID, l.Level, l.Bright)
				}
			}
		}
	}
}

// By hand: a single stop lamp of 21 W on 7 pins: the wire is 1.8 + 2.5 m and 0.9 m to the lamp, there and back
// 2·5.2·0.0175·1.078 = 0.1962 Ω, contacts and car 0.02 + 0.06 more; at about 1.8 A it gets 12.8 − 0.5 = 12.3 V.
func TestDropByHand(t *testing.T) {
	r := with(t, "pin-7", `"lamps":{"s":{"order":1,"what":"stop","back":2.5,"right":0.6,"height":0.6}}`)
	p := wiring.Show(r, []wiring.Switch{wiring.SwitchStop})
	v := p.Lamps[0].Volts
	hot := 144.0 / 21 * math.Pow(v/12, 0.45)
	want := 12.8 * hot / (hot + 0.1962 + 0.02 + 0.06)
	if math.Abs(v-want) > 1e-3 {
		t.Errorf("%v V, by hand %v", v, want)
	}
	if a := p.Poles[5].Amps; math.Abs(a-v/hot) > 1e-3 {
		t.Errorf("%v A", a)
	}
	if e := p.Poles[2].Amps; math.Abs(e-v/hot) > 1e-3 {
		t.Errorf("%v A in the earth", e)
	}
}

func judged(r *rig.Rig) []finding.Finding { return append(wiring.Check(r), wiring.Rest(r)...) }

func TestOutcomes(t *testing.T) {
	full := strings.TrimSuffix(usualLamps(false, "fog"), "}") +
		`,"t1":{"order":20,"what":"triangle","back":2.5,"right":-0.6,"height":0.5},"t2":{"order":21,"what":"triangle","back":2.5,"right":0.6,"height":0.5},
		"s1":{"order":22,"what":"side-reflector","back":1,"right":-0.7,"height":0.5},"s2":{"order":23,"what":"side-reflector","back":1,"right":0.7,"height":0.5},
		"f1":{"order":24,"what":"front-reflector","back":0,"right":-0.6,"height":0.5},"f2":{"order":25,"what":"front-reflector","back":0,"right":0.6,"height":0.5}}`
	for _, c := range []struct {
		plug, doc string
		sets      []string
		code      string
		want      finding.Outcome
	}{
		{"pin-7", full, nil, wiring.CodeLamps, finding.Holds},
		{"pin-7", usualLamps(false), nil, wiring.CodeLamps, finding.Fails}, // no fog, no reflectors
		{"pin-7", full, nil, wiring.CodePlaces, finding.Holds},
		{"pin-7", full, []string{"/trailers/t/wiring/lamps/lstop/height", "0.2"}, wiring.CodePlaces, finding.Fails},
		{"pin-7", full, []string{"/trailers/t/wiring/lamps/lstop/height", "0"}, wiring.CodePlaces, finding.Unknown},
		{"pin-7", full, []string{"/trailers/t/wiring/lamps/lturn/right", "-0.3"}, wiring.CodePlaces, finding.Fails},
		{"pin-7", full, nil, wiring.CodeFeeds, finding.Holds},
		{"flat-4", usualLamps(false, "reverse"), nil, wiring.CodeFeeds, finding.Fails}, // no pole for it
		{"pin-7", full, []string{"/trailers/t/wiring/lamps/plate/volts24", "true"}, wiring.CodeFeeds, finding.Fails},
		{"pin-7", full, []string{"/trailers/t/wiring/wire", "1.5"}, wiring.CodeHeat, finding.Holds},
		{"pin-7", full, []string{"/trailers/t/wiring/wire", "0.5", "/trailers/t/wiring/bundled", "true"}, wiring.CodeHeat, finding.Fails},
		{"pin-7", full, []string{"/trailers/t/wiring/wire", "1.5", "/trailers/t/wiring/fuse", "30"}, wiring.CodeHeat, finding.Tight},
		{"pin-7", full, []string{"/trailers/t/wiring/wire", "4"}, wiring.CodeDrop, finding.Holds},
		{"pin-7", full, []string{"/trailers/t/wiring/wire", "0.75"}, wiring.CodeDrop, finding.Tight},
		{"nothing", full, nil, wiring.CodeFeeds, finding.Unknown},
	} {
		f := sample.Find(t, judged(with(t, c.plug, c.doc, c.sets...)), c.code)
		if f.Outcome != c.want || f.Outcome == finding.Unknown && len(f.Needs) == 0 {
			t.Errorf("%s %v: %s %s", c.code, c.sets, f.Outcome, f.Says.Text(quantity.Locale{}))
		}
	}
	if wiring.Check(rig.Resolve(sample.Plan(t), "t", "o")) != nil {
		t.Error("lamps of a trailer without")
	}
}

// A better earth never makes a lamp darker, a thicker wire neither; the other side's lamps are as bright.
func TestMonotone(t *testing.T) {
	bright := func(doc string) map[string]float64 {
		out := map[string]float64{}
		for _, l := range wiring.Show(with(t, "pin-13", doc), []wiring.Switch{wiring.SwitchTail, wiring.SwitchStop}).Lamps {
			out[l.ID] = l.Bright
		}
		return out
	}
	thin, thick := bright(usualLamps(false)+`,"wire":0.75`), bright(usualLamps(false)+`,"wire":2.5`)
	for id := range thin {
		if thin[id] > 0.01 && thick[id] < thin[id] {
			t.Errorf("%s is darker on thick wire", id)
		}
	}
	if math.Abs(thin["lstop"]-thin["rstop"]) > 0.02 {
		t.Errorf("left %v right %v", thin["lstop"], thin["rstop"])
	}
}

// Far too many lamps are refused by name, at once.
func TestTooMany(t *testing.T) {
	var b strings.Builder
	b.WriteString(`"lamps":{`)
	for i := range 500 {
		if i > 0 {
			b.WriteByte(',')
		}
		fmt.Fprintf(&b, `"l%d":{"order":%d,"what":"marker","back":1,"right":0.5,"height":0.6}`, i, i)
	}
	f := sample.Find(t, judged(with(t, "pin-7", b.String()+"}")), wiring.CodeFeeds)
	if f.Outcome != finding.Unknown || len(f.Needs) == 0 {
		t.Errorf("%s %s", f.Outcome, f.Says.Text(quantity.Locale{}))
	}
}
