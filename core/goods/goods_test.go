package goods_test

import (
	"fmt"
	"math"
	"testing"

	"zygonos/core/goods"
	"zygonos/core/lang/quantity"
	"zygonos/core/plan"
)

func near(t *testing.T, what string, got, want, within float64) {
	t.Helper()
	if math.Abs(got-want) > within {
		t.Errorf("%s: got %v, want %v", what, got, want)
	}
}

// A square base at slope 1 peaks as a pyramid: 2·2·1/3 = 4/3 m³, 1 m high. A
// base of 3 × 1 m at slope 0.8 is a hip roof 0.4 m high: the middle prism
// 2·1·0.4/2 = 0.4 and the two end halves together a pyramid 1·1·0.4/3 = 0.1333.
func TestHeap(t *testing.T) {
	near(t, "pyramid", goods.HeapVolume(2, 2, 1, 1), 4.0/3, 1e-12)
	near(t, "hip roof", goods.HeapVolume(3, 1, 0.8, 0.4), 0.4+0.4/3, 1e-12)
	near(t, "peak", goods.PeakHeight(3, 1, 0.8), 0.4, 1e-12)
	// Cut at half the height the pyramid lacks its top eighth: 4/3·7/8.
	near(t, "cut", goods.HeapVolume(2, 2, 1, 0.5), 4.0/3*7/8, 1e-12)
	near(t, "beyond the peak", goods.HeapVolume(2, 2, 1, 9), 4.0/3, 1e-12)
	for _, bad := range [][4]float64{{0, 1, 1, 1}, {1, -1, 1, 1}, {1, 1, 0, 1}, {1, 1, 1, -1}} {
		if v := goods.HeapVolume(bad[0], bad[1], bad[2], bad[3]); v != 0 {
			t.Errorf("%v: %v", bad, v)
		}
	}
	h, over := goods.HeapHeight(2, 2, 1, 4.0/3*7/8)
	near(t, "height back from volume", h, 0.5, 1e-9)
	near(t, "nothing over", over, 0, 1e-12)
	_, over = goods.HeapHeight(2, 2, 1, 1.5)
	near(t, "over", over, 1.5-4.0/3, 1e-12)
}

// A free cone of 0.3 m³ at slope 0.7: r = (3·0.3/(π·0.7))^⅓ = 0.40926^⅓ = 0.74246 m.
func TestCone(t *testing.T) {
	h, l := goods.Cone(5, 0.7, 0.3)
	near(t, "free length", l, 2*0.74246, 1e-4)
	near(t, "free height", h, 0.7*0.74246, 1e-4)
	// Between sides 0.8 m apart: the volume under the same slope, summed over a grid.
	h, l = goods.Cone(0.8, 0.7, 0.3)
	r, sum, step := l/2, 0.0, 0.002
	for x := -r; x < r; x += step {
		for y := -0.4; y < 0.4; y += step {
			sum += math.Max(0, h-0.7*math.Hypot(x+step/2, y+step/2)) * step * step
		}
	}
	near(t, "held in by the sides", sum, 0.3, 5e-4)
	if l <= 2*0.74246 {
		t.Errorf("the sides should make it longer: %v", l)
	}
	if h, l := goods.Cone(1, 0, 1); h != 0 || l != 0 {
		t.Error("no slope must give no cone")
	}
}

// The surface meets neither floor nor lid: Δx = tan θ·L²/(12·h) = 0.3·1.44/6 =
// 0.072 m. Nearly empty it is a triangle at the front wall: area 0.1 m², base
// √(2·0.1/0.3) = 0.81650 m, so Δx = 1 − 0.81650/3 = 0.72783 m. Nearly full the
// air is that triangle at the rear: the centre of 1.9 m² moves
// 0.1·0.72783/1.9 = 0.038307 m.
func TestSurge(t *testing.T) {
	near(t, "half full", goods.Surge(1.2, 1, 0.5, 0.3), 0.072, 1e-9)
	near(t, "nearly empty", goods.Surge(2, 1, 0.05, 0.3), 0.72783, 1e-5)
	near(t, "nearly full", goods.Surge(2, 1, 0.95, 0.3), 0.038307, 1e-5)
	for _, fill := range []float64{0, 1, -1, 2} {
		near(t, "full or empty", goods.Surge(2, 1, fill, 0.3), 0, 0)
	}
	// The fluid never moves further than the front wall.
	for fill := 0.01; fill < 1; fill += 0.01 {
		if d := goods.Surge(2, 1, fill, 3); d < 0 || d > 1 {
			t.Errorf("fill %v: %v", fill, d)
		}
	}
}

func v[Q any](x Q) *Q { return &x }

func TestOf(t *testing.T) {
	p := &plan.Plan{}
	bed := goods.Bed{Length: 2.5, Width: 1.4, Side: 0.4}
	vol := func(x quantity.Volume) *plan.VolumeEstimate {
		return &plan.VolumeEstimate{Value: x, PlusMinus: v(quantity.Volume(0)), How: plan.Weighed}
	}
	kg := func(x quantity.Mass) *plan.MassEstimate {
		return &plan.MassEstimate{Value: x, PlusMinus: v(quantity.Mass(0)), How: plan.Plate}
	}
	for _, c := range []struct {
		name           string
		load           plan.Load
		low, mid, high float64 // kg
		height, spills float64
	}{
		// 2.5·1.4·0.4 = 1.4 m³ of sand, dry 1450 to wet 2100: 2030 to 2940.
		{"level, anything", plan.Load{Bulk: &plan.Bulk{Material: "sand", By: plan.ByLevel}}, 2030, 2485, 2940, 0.4, 0},
		{"level, wet", plan.Load{Bulk: &plan.Bulk{Material: "sand", By: plan.ByLevel, Wet: plan.Soaked}}, 2520, 2730, 2940, 0.4, 0},
		// 0.35 m³ over 3.5 m² is 100 mm deep.
		{"by volume", plan.Load{Bulk: &plan.Bulk{Material: "gravel", By: plan.ByVolume, Volume: vol(0.35), Wet: plan.Dry}}, 525, 560, 595, 0.1, 0},
		// 500 kg of gravel at (1500+2000)/2 = 1750: 0.28571 m³, 81.63 mm deep.
		{"by mass", plan.Load{Mass: kg(500), Bulk: &plan.Bulk{Material: "gravel", By: plan.ByMass}}, 500, 500, 500, 0.28571 / 3.5, 0},
		{"bags", plan.Load{Bulk: &plan.Bulk{By: plan.ByBags, Count: v(16.0), Each: kg(25)}}, 400, 400, 400, 0, 0},
		// Two scoops of 0.25 m³ of dry topsoil, 1000 to 1300.
		{"bulk bags", plan.Load{Bulk: &plan.Bulk{Material: "topsoil", By: plan.ByBulkBags, Count: v(2.0), Volume: vol(0.25), Wet: plan.Dry}}, 500, 575, 650, math.Cbrt(0.25), 0},
		// 12 sheets of 2.44 × 1.22 × 0.018 m plywood: 0.64299 m³ at 550 to 700.
		{"sheets", plan.Load{Pieces: &plan.Pieces{Material: "plywood", Count: 12, Length: 2.44, Width: 1.22, Thickness: 0.018}}, 353.64, 401.87, 450.09, 0.216, 0},
		// 30 battens 4 across: 8 layers of 0.05.
		{"battens", plan.Load{Pieces: &plan.Pieces{Material: "steel", Count: 30, Across: 4, Length: 1, Width: 0.05, Thickness: 0.05}}, 588.75, 588.75, 588.75, 0.4, 0},
	} {
		lot := goods.Of(p, "/loads/x", &c.load, bed)
		if lot == nil || lot.Mass == nil {
			t.Errorf("%s: no mass: %+v", c.name, lot)
			continue
		}
		near(t, c.name+" low", lot.Mass.Low, c.low, 0.01)
		near(t, c.name, lot.Mass.Nominal, c.mid, 0.01)
		near(t, c.name+" high", lot.Mass.High, c.high, 0.01)
		near(t, c.name+" height", lot.Height, c.height, 1e-5)
		near(t, c.name+" spills", lot.Spills, c.spills, 1e-9)
	}
	// A thing of its own is no goods.
	if goods.Of(p, "", &plan.Load{}, bed) != nil {
		t.Error("a plain load made a lot")
	}
	// What is missing is stated and never zero.
	for _, l := range []plan.Load{
		{Bulk: &plan.Bulk{By: plan.ByVolume, Material: "sand"}}, {Bulk: &plan.Bulk{By: plan.ByVolume, Volume: vol(1)}}, {Bulk: &plan.Bulk{By: plan.ByMass, Material: "sand"}},
		{Bulk: &plan.Bulk{By: plan.ByBags}}, {Bulk: &plan.Bulk{By: plan.ByScoops, Material: "sand", Volume: vol(1)}}, {Tank: &plan.Tank{}}, {Tank: &plan.Tank{Fluid: "water", Fill: v(0.5)}},
		{Pieces: &plan.Pieces{}},
	} {
		lot := goods.Of(p, "/loads/x", &l, goods.Bed{})
		if lot == nil || lot.Mass != nil || len(lot.Needs) == 0 {
			t.Errorf("%+v: %+v", l, lot)
		}
	}
}

// A part of the bed has its own box, or lies free: 0.2 m³ on 1 × 1 m without a
// box is a heap at the middle of the angles, 35° for gravel.
func TestFootprint(t *testing.T) {
	one := &plan.LengthEstimate{Value: 1, How: plan.Weighed}
	l := &plan.Load{Bulk: &plan.Bulk{Material: "gravel", By: plan.ByVolume, Volume: &plan.VolumeEstimate{Value: 0.05, How: plan.Weighed}}}
	l.Size.Length, l.Size.Width = one, one
	bed := goods.Bed{Length: 2.5, Width: 1.4, Side: 0.4}
	lot := goods.Of(&plan.Plan{}, "", l, bed)
	want, _ := goods.HeapHeight(1, 1, math.Tan(35*math.Pi/180), 0.05)
	near(t, "free heap", lot.Height, want, 1e-9)
	if lot.Height < 0.05 {
		t.Errorf("a free heap stands higher than a level fill: %v", lot.Height)
	}
	l.Size.Height = &plan.LengthEstimate{Value: 0.3, How: plan.Weighed}
	near(t, "in its box", goods.Of(&plan.Plan{}, "", l, bed).Height, 0.05, 1e-9)
}

// A tank of 1.0 × 0.9 × 0.9 m holds 0.92·0.81 m³; half of it is water.
func TestTank(t *testing.T) {
	e := func(x quantity.Length) *plan.LengthEstimate { return &plan.LengthEstimate{Value: x, How: plan.Weighed} }
	l := &plan.Load{Mass: &plan.MassEstimate{Value: 30, PlusMinus: v(quantity.Mass(0)), How: plan.Weighed}, Tank: &plan.Tank{Fluid: "water", Fill: v(0.5)},
		Size: plan.Size{Length: e(1), Width: e(0.9), Height: e(0.9)}}
	lot := goods.Of(&plan.Plan{}, "", l, goods.Bed{})
	near(t, "tank", lot.Mass.Nominal, 30, 1e-9)
	near(t, "fluid", lot.Contents.Mass.Nominal, 0.5*0.92*0.81*998.5, 1e-6)
	near(t, "fluid at most", lot.Contents.Mass.High, 0.5*0.81*1000, 1e-6)
}

func ExampleHeapHeight() {
	h, over := goods.HeapHeight(2.4, 1.2, 0.7, 0.5)
	fmt.Printf("%.2f m high, %.2f m³ too much\n", h, over)
	// At 0.37 m: 1.0656 − 0.7041 + 0.1378 = 0.4994 m³.
	// Output: 0.37 m high, 0.00 m³ too much
}
