package joint_test

import (
	"math"
	"testing"

	"zygonos/core/sums/joint"
)

// Worked by hand in C16, ρ 310 kg/m³, 45 mm thick. Bolt M10, 800 MPa: f_h 0.082·0.9·310/1.5 = 15.25 MPa,
// M_y 0.3·800·398.1 = 95.5 N·m: 6863, 2843, 4269 and 6208 N: 2843. Nail 4 mm, 600 MPa: f_h 16.77, M_y 6.62: 3019,
// 1250, 1206, 1084: 1084.
func TestShear(t *testing.T) {
	c16 := joint.Timber{Thick: 0.045, Density: 310}
	for _, c := range []struct {
		of          joint.Fastener
		d, ultimate float64
		end         bool
		want        float64
	}{
		{joint.Bolt, 0.010, 800e6, false, 2843}, {joint.Nail, 0.004, 600e6, false, 1084}, {joint.Nail, 0.004, 600e6, true, 361.2},
		{joint.Nail, 0, 600e6, false, 0},
	} {
		if got := joint.Shear(c.of, c.d, c.ultimate, c16, c.end); math.Abs(got-c.want) > 0.004*c.want {
			t.Errorf("%s %v: %v, want %v", c.of, c.d, got, c.want)
		}
	}
	// Thicker wood and fasteners never bear less.
	last := 0.0
	for _, d := range []float64{0.006, 0.008, 0.010, 0.012, 0.016} {
		if f := joint.Shear(joint.Bolt, d, 800e6, c16, false); f < last {
			t.Errorf("%v bears %v, a thinner one %v", d, f, last)
		} else {
			last = f
		}
	}
}

// Screw 6 × 50: 0.52·0.4082·0.6762·98.4 = 14.13 N/mm², times 300·0.75: 3179 N. Nail 4 × 45: 1.922·180 = 346. Bolt M10
// with a washer of 30 mm: 3·2.17 MPa·628.3 mm² = 4090. In end grain screws and nails bear nothing that counts.
func TestWithdrawal(t *testing.T) {
	for _, c := range []struct {
		of         joint.Fastener
		d, l, ring float64
		end        bool
		want       float64
	}{
		{joint.Screw, 0.006, 0.05, 0, false, 3179}, {joint.Nail, 0.004, 0.045, 0, false, 346}, {joint.Bolt, 0.010, 0, 0.030, false, 4090},
		{joint.Screw, 0.006, 0.05, 0, true, 0}, {joint.Nail, 0.004, 0.045, 0, true, 0}, {joint.Bolt, 0.010, 0, 0.030, true, 4090},
	} {
		if got := joint.Withdrawal(c.of, c.d, c.l, 310, c.ring, c.end); math.Abs(got-c.want) > 0.003*math.Max(1, c.want) {
			t.Errorf("%s: %v, want %v", c.of, got, c.want)
		}
	}
}
