package study_test

import (
	"math"
	"testing"

	"zygonos/core/ask/pump"
	"zygonos/core/internal/sample"
	"zygonos/core/rig"
	"zygonos/core/study"
)

// The minutes of a fill are its litres over what the pump gives; full they are those of the pump's own answer for an exact
// tank; without a pump there are none.
func TestTanks(t *testing.T) {
	sets := []string{
		"/loads", `{"w":{"order":1,"name":"Water","kind":"tank","mass":{"value":20,"plusMinus":0,"how":"weighed"},"size":{"length":{"value":1,"how":"weighed"},
		"width":{"value":0.8,"how":"weighed"},"height":{"value":0.6,"how":"weighed"}},"centre":{},"tank":{"fluid":"water","fill":1,"capacity":{"value":0.3,"plusMinus":0,"how":"plate"}}}}`,
		"/outings/o/layouts/t/placements", `{"w":{"on":"deck","at":{"back":0.5}}}`,
	}
	if got := study.Tanks(sample.Plan(t, sets...), "t", "o"); len(got) != 1 || got[0].Steps[20].Minutes != nil {
		t.Errorf("without a pump: %+v", got)
	}
	// 300 kg of water at x behind the ball bring 300·x/L to the axle: on 40 000 kg/m of tyres so much lower, half of it a wheel
	bare := sample.Plan(t, append(sets, "/trailers/t/suspension", `"none"`, "/trailers/t/tyrePressure", `350000`, "/trailers/t/tyreRating", `260`)...)
	tank := study.Tanks(bare, "t", "o")[0]
	first, last := tank.Steps[0], tank.Steps[20]
	r := rig.Resolve(bare, "t", "o")
	x := r.Items[0].X
	if gain := last.OnAxle - first.OnAxle; math.Abs(gain-300*x/r.Axle.Nominal) > 0.5 || math.Abs(last.Wheel-first.Wheel-gain/2) > 0.1*gain {
		t.Errorf("the axle gains %v kg, a wheel %v", gain, last.Wheel-first.Wheel)
	}
	if p := last.Pressure; p == nil || first.Pressure == nil || *p <= *first.Pressure || math.Abs(float64(*p)-350000*math.Pow(last.Wheel/260, 1/0.8)) > 350000*0.03 {
		t.Errorf("%v at %v kg", p, last.Wheel)
	}
	if len(tank.Tyres) == 0 {
		t.Error("nothing of the tyres")
	}
	p := sample.Plan(t, append(sets, "/trailers/t/pump", `{"topPressure":400000,"openFlow":17,"hoseLong":15,"hoseBore":0.0125}`)...)
	got, want := study.Tanks(p, "t", "o"), pump.Show(rig.Resolve(p, "t", "o"))
	for k, share := range map[int]float64{0: 0, 10: 0.5, 20: 1} {
		if m := got[0].Steps[k].Minutes; m == nil || math.Abs(*m-share**want.Empties) > 1e-9 {
			t.Errorf("at %v: %v min, the pump says %v for the full tank", share, m, *want.Empties)
		}
	}
}
