package power_test

import (
	"math"
	"strings"
	"testing"

	"zygonos/core/ask/power"
	"zygonos/core/facts/norms"
	"zygonos/core/internal/sample"
	"zygonos/core/lang/finding"
	"zygonos/core/lang/quantity"
	"zygonos/core/rig"
)

func board(t *testing.T, doc string, sets ...string) *rig.Rig {
	t.Helper()
	return rig.Resolve(sample.Plan(t, append([]string{
		"/trailers/t/plug", `"pin-13"`, "/trailers/t/wiring", `{"lamps":{},"power":` + doc + `}`,
	}, sets...)...), "t", "o")
}

// Peukert by hand: 80 A·h of lead at 4 A (its rated current) give half of 20 h; at 40 A 0.5 · 20 · (1/10)^1.25 = 0.5623 h;
// at 0 °C a quarter less of capacity. A current under the rated one gives no more than it holds.
func TestLasts(t *testing.T) {
	lead := norms.Batteries[0]
	for _, c := range []struct{ capacity, amps, celsius, want float64 }{
		{80, 4, 25, 10}, {80, 40, 25, .5623413}, {80, 1, 25, 40}, {80, 40, 0, 10 * math.Pow(.075, 1.25)}, {0, 4, 25, 0}, {80, 0, 25, 0},
	} {
		if got := lead.Lasts(c.capacity, c.amps, c.celsius); math.Abs(got-c.want) > 1e-6*(1+c.want) {
			t.Errorf("%+v: %v h", c, got)
		}
	}
}

// A winch of 150 A for one minute, 4 m of 25 mm² one way: 8 · 0.0175 · 1.078/25 · 150 = 0.9056 V of 1.2. In a minute it
// takes 1/60 h of 10·(80/3000)^1.25 = 0.1078 h: 15.5 % of what the battery gives.
const winch = `{"kind":"lead","capacity":80,"fuseAt":0.2,"isolator":true,"vented":true,"uses":{"w":{"order":1,"name":"100% {winch}","amps":150,"minutes":1,"times":1,"long":4,"wire":25,"fuse":150}}}`

func TestWinch(t *testing.T) {
	all := power.Check(board(t, winch))
	for code, want := range map[string]struct {
		outcome finding.Outcome
		figure  float64
	}{
		power.CodeLasts: {finding.Holds, 0.15457}, power.CodeDrop: {finding.Holds, 0.90552}, power.CodeBox: {finding.Holds, 0},
	} {
		f := sample.Find(t, all, code)
		if f.Outcome != want.outcome || want.figure > 0 && math.Abs(f.Figure.Value-want.figure) > 1e-3*want.figure {
			t.Errorf("%s: %s %+v %s", code, f.Outcome, f.Figure, f.Says.Text(quantity.Locale{}))
		}
	}
	// briefly the cable bears 1.5 · 124 A: 150 A do not burn it, but a fuse of 150 A lets a jammed motor do so
	if f := sample.Find(t, all, power.CodeFuse); f.Outcome != finding.Tight {
		t.Errorf("%s %s", f.Outcome, f.Says.Text(quantity.Locale{}))
	}
	for _, f := range power.Check(board(t, strings.Replace(winch, `"wire":25`, `"wire":35`, 1))) { // 155 A: one sentence is enough
		if f.Code == power.CodeHeat || f.Code == power.CodeFuse {
			t.Errorf("%s: %s", f.Code, f.Says.Text(quantity.Locale{}))
		}
	}
	// a name is no template
	open := sample.Find(t, power.Check(board(t, strings.Replace(winch, `"minutes":1,`, ``, 1))), power.CodeLasts)
	if says := open.Says.Text(quantity.Locale{}); says != "Not known: how long one use of 100% {winch} takes." {
		t.Error(says)
	}
	// what is enough by itself: 1.2 V over 8 m at 150 A take 18.9 mm², heat 100 A: 25 mm²; a fuse of 1.25 · 150 A is over what it bears
	u := power.New(board(t, winch)).Uses[0]
	if u.Section != "25 mm² (AWG 2)" {
		t.Errorf("%q fuse %q", u.Section, u.Fuse)
	}
}

// What would burn, last too short or take too much never holds.
func TestBad(t *testing.T) {
	for _, c := range []struct {
		from, to, code string
		want           finding.Outcome
		says           string
	}{
		{`"wire":25`, `"wire":6`, power.CodeHeat, finding.Fails, "burns"},
		{`"wire":25`, `"wire":6`, power.CodeDrop, finding.Tight, "enough"},
		{`"wire":25,`, ``, power.CodeDrop, finding.Unknown, "25 mm²"},
		{`"long":4,`, ``, power.CodeDrop, finding.Unknown, "length"},
		{`"fuse":150`, `"fuse":200`, power.CodeFuse, finding.Fails, "first"},
		{`"fuse":150`, `"fuse":100`, power.CodeFuse, finding.Tight, "blows at"},
		{`,"fuse":150`, ``, power.CodeFuse, finding.Fails, "no fuse"},
		{`"minutes":1`, `"minutes":10`, power.CodeHeat, finding.Fails, "good for"}, // no longer brief: 124 A
		{`"times":1`, `"times":7`, power.CodeHeat, finding.Fails, "good for"},      // nor all together
		{`"minutes":1,`, ``, power.CodeLasts, finding.Unknown, "how long"},
		{`"times":1`, `"times":7`, power.CodeLasts, finding.Fails, "more than the battery"},
		{`"times":1`, `"times":6`, power.CodeLasts, finding.Tight, "not for a second"},
		{`"kind":"lead",`, ``, power.CodeLasts, finding.Tight, "not entered"},
		{`"capacity":80,`, ``, power.CodeLasts, finding.Unknown, "capacity"},
		{`"fuseAt":0.2`, `"fuseAt":1`, power.CodeBox, finding.Tight, "pole"},
		{`"vented":true,`, ``, power.CodeBox, finding.Tight, "gas"},
		{`"kind":"lead"`, `"kind":"lfp","celsius":-5,"chargeLong":6,"chargeWire":2.5`, power.CodeCharge, finding.Fails, "cold"},
		{`"kind":"lead"`, `"kind":"lead","chargeLong":6`, power.CodeCharge, finding.Unknown, "section"},
		{`"kind":"lead"`, `"kind":"lead","chargeWire":2.5`, power.CodeCharge, finding.Unknown, "how long"},
	} {
		doc := strings.Replace(winch, c.from, c.to, 1)
		f := sample.Find(t, power.Check(board(t, doc)), c.code)
		if says := f.Says.Text(quantity.Locale{}); f.Outcome != c.want || !strings.Contains(says, c.says) || f.Outcome == finding.Unknown && len(f.Needs) == 0 {
			t.Errorf("%s → %s: %s %q", c.from, c.to, f.Outcome, says)
		}
	}
}

// Charging over 8 m of 1.5 mm² one way: 16 · 0.0175 · 1.078/1.5 + 0.05 = 0.2512 Ω, (14.2 − 12.8)/0.2512 = 5.57 A. What the
// winch takes of an 80 A·h battery, 6.18 A·h, is back after 1.2 · 6.18/5.57 = 1.33 h. Through a lifting charger 10 A.
func TestCharge(t *testing.T) {
	with := func(more string) finding.Finding {
		return sample.Find(t, power.Check(board(t, strings.Replace(winch, `"kind"`, `"chargeLong":8,`+more+`"kind"`, 1))), power.CodeCharge)
	}
	if f := with(`"chargeWire":1.5,`); math.Abs(f.Figure.Value-5.573) > .01 || f.Outcome != finding.Holds {
		t.Errorf("%s %v", f.Outcome, f.Figure.Value)
	}
	if f := with(`"chargeWire":0.5,`); f.Outcome != finding.Holds || f.Figure.Value > 3 {
		t.Errorf("%s %v", f.Outcome, f.Figure.Value)
	}
	if f := with(`"chargeWire":2.5,"lifts":true,`); f.Figure.Value != 10 {
		t.Errorf("%v A", f.Figure.Value)
	}
}

// Two magnets of 3.2 Ω draw 7.5 A. The sample's axle stands 2.5 m behind the ball: 4.1 m of wire, there and back 8.2 m of
// 2.5 mm²: 0.4641 V of 0.6. A battery of 5 A·h, in frost 3.75: 0.8 · 20 · (3.75/150)^1.25 = 0.159 h, 9.5 min of 15; one of 9 A·h holds.
func TestBrakes(t *testing.T) {
	brakes := func(doc string, sets ...string) []finding.Finding {
		return power.Check(rig.Resolve(sample.Plan(t, append([]string{
			"/trailers/t/brakes", `"electric"`, "/trailers/t/plug", `"pin-12"`, "/trailers/t/wiring", `{"lamps":{}` + doc + `}`,
		}, sets...)...), "t", "o"))
	}
	all := brakes(`,"magnets":2,"brakeWire":2.5,"breakaway":5`)
	if f := sample.Find(t, all, power.CodeBrakeWire); f.Outcome != finding.Holds || math.Abs(f.Figure.Value-.46408) > 1e-4 {
		t.Errorf("%s %v", f.Outcome, f.Figure.Value)
	}
	if f := sample.Find(t, all, power.CodeBreakaway); f.Outcome != finding.Fails || math.Abs(f.Figure.Value-3600*.8*20*math.Pow(.025, 1.25)) > .1 {
		t.Errorf("%s %v", f.Outcome, f.Figure.Value)
	}
	for _, c := range []struct {
		doc  string
		sets []string
		code string
		want finding.Outcome
	}{
		{`,"magnets":2,"brakeWire":2.5,"breakaway":9`, nil, power.CodeBreakaway, finding.Holds},
		{`,"magnets":4,"brakeWire":2.5,"breakaway":9`, nil, power.CodeBreakaway, finding.Fails},
		{`,"brakeWire":2.5,"breakaway":9`, nil, power.CodeBreakaway, finding.Tight},             // how many is not stated
		{`,"magnets":0,"brakeWire":2.5,"breakaway":9`, nil, power.CodeBrakeWire, finding.Tight}, // none is no number
		{`,"magnets":2`, nil, power.CodeBreakaway, finding.Unknown},
		{`,"magnets":2`, nil, power.CodeBrakeWire, finding.Unknown},
		{`,"magnets":2,"brakeWire":0.5`, nil, power.CodeBrakeWire, finding.Tight},
		{`,"magnets":6,"brakeWire":1`, nil, power.CodeBrakeWire, finding.Fails},
		{``, nil, power.CodeBrakeFeed, finding.Holds},
		{``, []string{"/trailers/t/plug", `"flat-4"`}, power.CodeBrakeFeed, finding.Fails},
		{``, []string{"/towVehicles/car/socket", `"flat-4"`}, power.CodeBrakeFeed, finding.Fails},
		{``, []string{"/towVehicles/car/socket", `"blade-7"`}, power.CodeBrakeFeed, finding.Holds},
	} {
		if f := sample.Find(t, brakes(c.doc, c.sets...), c.code); f.Outcome != c.want {
			t.Errorf("%s %v %s: %s %s", c.doc, c.sets, c.code, f.Outcome, f.Says.Text(quantity.Locale{}))
		}
	}
	for _, f := range brakes("", "/trailers/t/brakes", `"overrun"`) {
		t.Errorf("overrun brakes need no current: %s", f.Code)
	}
}
