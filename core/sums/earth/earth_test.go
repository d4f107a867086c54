package earth_test

import (
	"math"
	"testing"

	"zygonos/core/sums/earth"
)

// Worked by hand: φ 30° pushes half its weight; 1500 kg/m³ half a metre high push 0.5·1500·9.80665·0.125 = 919.4 N a metre
// at a third of the height; a heap of 1000 N/m² on it adds 0.5·1000·0.5 = 250 N at half.
func TestPush(t *testing.T) {
	if k := earth.AtRest(math.Pi / 6); math.Abs(k-0.5) > 1e-12 {
		t.Errorf("K₀ %v", k)
	}
	f, z := earth.Push(0.5, 1500, 0.5, 0)
	if math.Abs(f-919.373) > 1e-3 || math.Abs(z-0.5/3) > 1e-12 {
		t.Errorf("%v N at %v m", f, z)
	}
	f, z = earth.Push(0.5, 1500, 0.5, 1000)
	if want := (919.3734375*0.5/3 + 250*0.25) / 1169.3734375; math.Abs(f-1169.373) > 1e-3 || math.Abs(z-want) > 1e-9 {
		t.Errorf("%v N at %v m, want %v", f, z, want)
	}
	if earth.AtRest(-1) != 1 || earth.AtRest(math.NaN()) != 1 || math.Abs(earth.AtRest(9)) > 1e-12 {
		t.Error("K₀ outside")
	}
	for _, v := range [][4]float64{{math.NaN(), 1, 1, 1}, {1, -1, 1, 1}, {1, 1, 0, 1}, {1, 1, 1, -1}, {1, 0, 1, 0}} {
		if f, z := earth.Push(v[0], v[1], v[2], v[3]); f != 0 || z != 0 {
			t.Errorf("%v: %v %v", v, f, z)
		}
	}
}

// The force is the pressure summed over the wall, strip by strip.
func TestPushIsTheSum(t *testing.T) {
	const n = 100000
	k, density, h, q := 0.44, 1850.0, 0.62, 740.0
	var sum, moment float64
	for i := range n {
		z := (float64(i) + 0.5) / n * h
		p := k * (density*earth.Gravity*(h-z) + q) * h / n
		sum += p
		moment += p * z
	}
	f, up := earth.Push(k, density, h, q)
	if math.Abs(f-sum) > 1e-6*sum || math.Abs(up-moment/sum) > 1e-6 {
		t.Errorf("%v at %v, strips %v at %v", f, up, sum, moment/sum)
	}
}
