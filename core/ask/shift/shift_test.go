package shift_test

import (
	"math"
	"testing"

	"zygonos/core/ask/shift"
	"zygonos/core/internal/sample"
	"zygonos/core/lang/finding"
	"zygonos/core/plan"
	"zygonos/core/rig"
)

// 100 kg up planks of 12.025° (0.5 over 2.4 m, sin 0.20833, cos 0.97806): dry 1.2·100·(0.20833 + 0.48903) = 83.7 kg,
// on rollers 32.0, a hand truck 30.9, jacks half.
func TestNeeds(t *testing.T) {
	angle := math.Asin(0.5 / 2.4)
	for with, want := range map[plan.ShiftWith]float64{
		plan.BySliding: 83.68, plan.BySkids: 48.47, plan.ByRollers: 32.04, plan.BySkates: 29.69, plan.ByHandTruck: 30.87,
		plan.ByJacks: 50, plan.ByHoist: 100, plan.ByForks: 100,
	} {
		if got := shift.Needs(with, 100, angle); math.Abs(got-want) > 0.02 {
			t.Errorf("%s: %v, want %v", with, got, want)
		}
	}
	if shift.Needs(plan.ByHandTruck, 100, 0) != 30 {
		t.Error("the handle of a hand truck bears on level ground too")
	}
}

func moved(t *testing.T, told string, more ...string) *rig.Rig {
	t.Helper()
	sets := append([]string{"/trailers/t/deckHeight", `{"value":0.5,"how":"weighed"}`, "/outings/o/layouts/t/shift", told}, more...)
	return rig.Resolve(sample.Plan(t, sets...), "t", "o")
}

// The sample's crate of 400 kg: on rollers 128.2 kg, six people. At the tail, 3.5 m behind the ball, 20 + 400·(2.5 − 3.5)/2.5
// = −140 kg are left on the ball, 400·0.01/2.5 less for how closely it is set down.
func TestCheck(t *testing.T) {
	for told, want := range map[string]finding.Outcome{
		`{"load":"crate","with":"rollers","people":2}`:             finding.Fails,
		`{"load":"crate","with":"rollers","people":6}`:             finding.Holds,
		`{"load":"crate","with":"jacks","takes":1000}`:             finding.Holds,
		`{"load":"crate","with":"jacks","takes":150}`:              finding.Fails,
		`{"load":"crate","with":"hoist"}`:                          finding.Unknown,
		`{"load":"crate"}`:                                         finding.Unknown,
		`{}`:                                                       finding.Unknown,
		`{"load":"crate","with":"skates","people":6,"planks":1.2}`: finding.Fails, // 24.6°
	} {
		f := sample.Find(t, shift.Check(moved(t, told)), shift.CodeForce)
		if f.Outcome != want || want == finding.Unknown && len(f.Needs) == 0 {
			t.Errorf("%s: %s %v", told, f.Outcome, f.Says)
		}
	}
	for told, want := range map[string]finding.Outcome{
		`{"load":"crate","with":"rollers","unhitched":true}`:                finding.Fails,
		`{"load":"crate","with":"rollers"}`:                                 finding.Tight,
		`{"load":"crate","with":"rollers","unhitched":true,"propped":true}`: finding.Holds,
	} {
		f := sample.Find(t, shift.Check(moved(t, told)), shift.CodeTip)
		if f.Outcome != want || math.Abs(f.Figure.Value+141.6) > 1e-6 {
			t.Errorf("%s: %s %v", told, f.Outcome, f.Figure.Value)
		}
	}
	f := sample.Find(t, shift.Check(moved(t, `{"load":"crate","with":"forks","takes":1000}`, "/trailers/t/sideHeight", "0.4")), shift.CodeForks)
	if f.Outcome != finding.Tight {
		t.Errorf("%+v", f)
	}
}

func TestWays(t *testing.T) {
	ways := shift.Ways(moved(t, `{"load":"crate"}`))
	if len(ways) != 8 || ways[0].People <= ways[2].People {
		t.Errorf("%+v", ways)
	}
	ticks := shift.Ticks(moved(t, `{"load":"crate","with":"skates"}`))
	if len(ticks) != 5 || ticks[1].ID != "shift-prop" {
		t.Errorf("%+v", ticks)
	}
}
