package pump_test

import (
	"math"
	"strings"
	"testing"

	"zygonos/core/ask/pump"
	"zygonos/core/internal/sample"
	"zygonos/core/lang/finding"
	"zygonos/core/lang/quantity"
	"zygonos/core/rig"
	"zygonos/core/sums/pipe"
)

// washer gives 4 bar at most or 17 l/min, through 15 m of 12.5 mm and a nozzle of 4 mm, a metre over the water.
const washer = `"topPressure":400000,"openFlow":17,"above":0.3,"inLong":1,"inBore":0.019,"hoseLong":15,"hoseBore":0.0125,"couplings":2,"nozzleUp":0.7,"nozzle":0.004,"litres":20`

func with(t *testing.T, doc string, sets ...string) *rig.Rig {
	t.Helper()
	return rig.Resolve(sample.Plan(t, append([]string{
		"/loads", `{"w":{"order":1,"name":"Water","kind":"tank","mass":{"value":20,"plusMinus":0,"how":"weighed"},"size":{"length":{"value":1,"how":"weighed"},
		"width":{"value":0.8,"how":"weighed"},"height":{"value":0.6,"how":"weighed"}},"centre":{},"tank":{"fluid":"water","fill":1,"capacity":{"value":0.3,"plusMinus":0,"how":"plate"}}}}`,
		"/outings/o/layouts/t/placements", `{"w":{"on":"deck","at":{"back":0.5}}}`, "/trailers/t/pump", "{" + doc + "}",
	}, sets...)...), "t", "o")
}

// What comes out is what the same line gives when it is put together by hand; the tank lasts for its least over that.
func TestShow(t *testing.T) {
	g := pump.Show(with(t, washer))
	c, _ := pipe.NewCurve(pipe.Point{Pressure: 4e5}, pipe.Point{Flow: 17.0 / 60000})
	l := pipe.Line{Curve: c, Up: 1, Nozzle: .004, Hoses: []pipe.Hose{
		{Long: 1, Bore: .019, Rough: 2e-5, K: .5, More: 1}, {Long: 15, Bore: .0125, Rough: 2e-5, K: 1, More: 1},
	}}
	r, err := l.Run()
	if err != nil || math.Abs(g.Litres-r.Flow*60000) > 1e-9 || g.Litres < 8 || g.Litres > 14 {
		t.Errorf("%v l/min, want %v", g.Litres, r.Flow*60000)
	}
	if g.Empties == nil || math.Abs(*g.Empties-0.3/r.Flow/60) > 1e-6**g.Empties || g.Places == nil || *g.Places != 15 {
		t.Errorf("empty after %v min, %v places", g.Empties, g.Places)
	}
	for _, w := range g.Ways {
		if w.Litres <= g.Litres {
			t.Errorf("%s gives %v", w.Says.Text(quantity.Locale{}), w.Litres)
		}
	}
	if len(g.Ways) != 2 {
		t.Errorf("%d ways", len(g.Ways))
	}
}

func TestChecks(t *testing.T) {
	for _, c := range []struct {
		from, to, code string
		want           finding.Outcome
		says           string
	}{
		{"", "", pump.CodePoint, finding.Holds, "l/min"},
		{`"topPressure":400000,`, ``, pump.CodePoint, finding.Unknown, "top pressure"},
		{`"openFlow":17,`, ``, pump.CodePoint, finding.Unknown, "open flow"},
		{`"hoseBore":0.0125,`, ``, pump.CodePoint, finding.Unknown, "bore"},
		{`"hoseLong":15,`, ``, pump.CodePoint, finding.Unknown, "length"},
		{`"hoseLong":15`, `"hoseLong":300`, pump.CodePoint, finding.Tight, "take the rest"},
		{`"nozzleUp":0.7`, `"nozzleUp":45`, pump.CodePoint, finding.Fails, "Nothing comes out"},
		{`"openFlow":17`, `"openFlow":17,"points":{"p":{"order":1,"flow":5,"pressure":500000}}`, pump.CodePoint, finding.Fails, "does not fall"},
		{`"above":0.3`, `"above":3`, pump.CodeSuction, finding.Holds, "it lifts"},
		{`"above":0.3`, `"above":0.4`, pump.CodeSuction, finding.Holds, "With the losses of its hose"},
		{`"inBore":0.019`, `"inBore":null`, pump.CodeSuction, finding.Tight, "plus the losses of its suction hose"},
		{`"above":0.3`, `"above":7`, pump.CodeSuction, finding.Fails, "runs dry"},
		{`"above":0.3`, `"above":3,"drawsUp":2.5`, pump.CodeSuction, finding.Fails, "runs dry"},
		{"", "", pump.CodeEmpties, finding.Holds, "15 places"},
		{`"litres":20`, `"litres":20,"places":31,"tap":20`, pump.CodeRounds, finding.Holds, "31 places take 620 l: 3 fills"},
		{`"litres":20`, `"litres":450,"places":2`, pump.CodeRounds, finding.Holds, "4 fills"},
		{`"litres":20`, `"litres":20,"runsFor":15`, pump.CodeEmpties, finding.Tight, "rest"},
		{`"litres":20`, `"litres":20,"frost":true`, pump.CodeFrost, finding.Tight, "bursts"},
		{`"litres":20`, `"litres":20,"frost":true,"drained":true`, pump.CodeFrost, finding.Holds, "Drained"},
	} {
		doc := strings.Replace(washer, c.from, c.to, 1)
		f := sample.Find(t, pump.Check(with(t, doc)), c.code)
		if says := f.Says.Text(quantity.Locale{}); f.Outcome != c.want || !strings.Contains(says, c.says) || f.Outcome == finding.Unknown && len(f.Needs) == 0 {
			t.Errorf("%s → %s: %s %q", c.from, c.to, f.Outcome, says)
		}
	}
	if pump.Show(with(t, `"openFlow":17`)) != nil {
		t.Error("too little is told")
	}
}

// The battery by hand: 60 A·h AGM at 20 °C gives 60·0.95 = 57 A·h; at 7 A new 0.6·20·(57/140)^1.1 h = 4.466 h, no longer than
// 0.6·57/7 = 4.886 h; old 0.6·20·(45.6/140)^1.2 = 3.123 h. The tank of 300 l lasts about half an hour.
func TestBattery(t *testing.T) {
	amps := strings.Replace(washer, `"litres":20`, `"litres":20,"amps":7`, 1)
	board := func(ah string) string {
		return `{"lamps":{},"power":{"kind":"agm","celsius":20,"capacity":` + ah + `}}`
	}
	f := sample.Find(t, pump.Check(with(t, amps, "/trailers/t/wiring", board("60"))), pump.CodeBattery)
	if f.Outcome != finding.Holds || math.Abs(f.Figure.Value-4.466*3600) > 30 || math.Abs(*f.Figure.Low-3.123*3600) > 30 {
		t.Errorf("%s: %v to %v h", f.Outcome, *f.Figure.Low/3600, f.Figure.Value/3600)
	}
	if f = sample.Find(t, pump.Check(with(t, amps, "/trailers/t/wiring", board("5"))), pump.CodeBattery); f.Outcome != finding.Tight || f.Tight != finding.LittleRoom {
		t.Errorf("5 A·h: %s %+v", f.Outcome, f.Figure)
	}
	for need, doc := range map[string]string{"capacity": `{"lamps":{},"power":{"kind":"agm"}}`, "kind": `{"lamps":{},"power":{"capacity":60}}`} {
		f = sample.Find(t, pump.Check(with(t, amps, "/trailers/t/wiring", doc)), pump.CodeBattery)
		if f.Outcome != finding.Unknown || len(f.Needs) != 1 || !strings.HasSuffix(f.Needs[0].Path, "/power/"+need) {
			t.Errorf("without %s: %s %v", need, f.Outcome, f.Needs)
		}
	}
}
