package norms_test

import (
	"math"
	"testing"

	"zygonos/core/facts/norms"
	"zygonos/core/lang/quantity"
)

// Spot checks of ISO 4000-1's table, ends and steps, against the standard.
func TestTyreLoad(t *testing.T) {
	for index, want := range map[int]quantity.Mass{50: 190, 60: 250, 70: 335, 79: 437, 84: 500, 91: 615, 94: 670, 98: 750, 100: 800, 109: 1030, 115: 1215, 121: 1450, 126: 1700} {
		if got, ok := norms.TyreLoad(index); !ok || got != want {
			t.Errorf("index %d: got %v, want %v", index, got, want)
		}
	}
	for _, index := range []int{-1, 0, 49, 127} {
		if _, ok := norms.TyreLoad(index); ok {
			t.Errorf("index %d is in the table", index)
		}
	}
	last := quantity.Mass(0)
	for i := 50; i <= 126; i++ {
		if m, _ := norms.TyreLoad(i); m <= last {
			t.Errorf("index %d does not bear more than the one before", i)
		} else {
			last = m
		}
	}
}

func TestRuleSets(t *testing.T) {
	for _, region := range quantity.Regions {
		r := norms.Of(region)
		if r.Region != region || r.BrakesSource.Title == "" || r.LinkSource.Title == "" {
			t.Errorf("%s: %+v", region, r)
		}
		if s := norms.SchoolOf("", "utility", r); s.ID != r.School {
			t.Errorf("%s: usual window %s, want %s", region, s.ID, r.School)
		}
		if r.BrakesLow > r.BrakesAbove || r.BrakesAbove > r.BrakesHigh {
			t.Errorf("%s: brakes from %v to %v, usual %v", region, r.BrakesLow, r.BrakesHigh, r.BrakesAbove)
		}
	}
	for _, s := range norms.Schools {
		if !(s.Low > 0 && s.Low < s.High && s.High < 0.3) || s.Reason == "" || s.Source.Confidence == "" {
			t.Errorf("%+v", s)
		}
	}
	if norms.SchoolOf("no-such", "", norms.Of(quantity.NorthAmerica)).ID != "ten-fifteen" || norms.Of("moon").Region != quantity.UK {
		t.Error("an unknown choice does not fall back")
	}
	// A boat's trailer has a lighter ball in North America, unless the owner chose; elsewhere it is as any other.
	for _, c := range []struct {
		region          quantity.Region
		own, kind, want string
	}{
		{quantity.NorthAmerica, "", "boat", "five-ten"}, {quantity.NorthAmerica, "ten-fifteen", "boat", "ten-fifteen"},
		{quantity.NorthAmerica, "", "flatbed", "ten-fifteen"}, {quantity.UK, "", "boat", "five-seven"},
	} {
		if got := norms.SchoolOf(c.own, c.kind, norms.Of(c.region)).ID; got != c.want {
			t.Errorf("%s %q %s: %s, want %s", c.region, c.own, c.kind, got, c.want)
		}
	}
}

// SAE J684's inch sizes in mm: 47.6, 50.8, 58.7.
func TestBallSizes(t *testing.T) {
	want := []float64{0.047625, 0.050, 0.0508, 0.0587375}
	for i, b := range norms.BallSizes {
		if d := float64(b.Diameter) - want[i]; d > 1e-9 || d < -1e-9 {
			t.Errorf("%s: %v", b.Name, b.Diameter)
		}
	}
}

// The published moments of 8.8 with K 0.2 or μ 0.14: M6 10, M8 25, M10 49, M12 85 N·m; within a tenth.
func TestTorque(t *testing.T) {
	b, _ := norms.BoltOf("8.8")
	for d, want := range map[float64]float64{0.006: 10, 0.008: 25, 0.010: 49, 0.012: 85} {
		if got := b.TorqueOf(d); math.Abs(got-want) > 0.1*want {
			t.Errorf("M%v: %v N·m, published %v", d*1000, got, want)
		}
	}
}
