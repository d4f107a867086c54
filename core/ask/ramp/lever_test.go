package ramp

import (
	"math"
	"testing"
)

// 2000 N off a drum of 25 mm radius with a handle of 0.3 m: 2000·0.025/(0.3·0.8) = 208.3 N. 3 m of line
// by strokes of 60°: 3/(0.025·1.0472) = 114.6.
func TestLever(t *testing.T) {
	if got := LeverPush(2000, 0.025, 0.3); math.Abs(got-208.33) > 0.01 {
		t.Errorf("%v N", got)
	}
	if got := Strokes(3, 0.025, math.Pi/3); math.Abs(got-114.59) > 0.01 {
		t.Errorf("%v strokes", got)
	}
}

// 6 m of strap 2 mm thick on 30 mm: R = √(225 + 6000·2/π) = 63.6 mm, 127.2 across, 25 layers. 10 m of 5 mm
// rope on 60 mm, 100 wide: 20 turns of π·65 = 4.084 m, of π·75 = 4.712, of π·85 = 5.341: three layers, 90
// mm across.
func TestWound(t *testing.T) {
	across, layers := Wound(0.03, 0.002, 6, 0)
	if math.Abs(across-0.1272) > 1e-4 || layers != 25 {
		t.Errorf("%v in %d", across, layers)
	}
	if across, layers = Wound(0.06, 0.005, 10, 0.1); math.Abs(across-0.09) > 1e-9 || layers != 3 {
		t.Errorf("%v in %d", across, layers)
	}
	// Wrapped lap by lap: the sum of the laps is the length.
	sum, d := 0.0, 0.03
	for range 24 {
		sum += math.Pi * (d + 0.002)
		d += 0.004
	}
	if sum > 6 || sum+math.Pi*(d+0.002) < 6 {
		t.Errorf("24 laps take %v", sum)
	}
}
