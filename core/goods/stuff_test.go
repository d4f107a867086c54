package goods_test

import (
	"testing"

	"zygonos/core/goods"
	"zygonos/core/lang/quantity"
	"zygonos/core/plan"
)

// Clay is 1100 to 1400 kg/m³ dry (mean 1250), 1700 to 2000 wet (1850), 1550 over both. Weighed at
// 1640 ± 5 % dry, it comes to 1640·1850/1250 = 2427.2 wet, up to 2548.56; weighed as it usually
// lies, to 1640·1850/1550 = 1957.42, up to 2055.29.
func TestStuff(t *testing.T) {
	for _, c := range []struct {
		read, lies         plan.Wet
		nominal, low, high float64
	}{
		{"", "", 1640, 1558, 1722},
		{"", plan.Dry, 1640, 1558, 1722},
		{"", plan.Soaked, 1957.42, 1859.55, 2055.29},
		{plan.Dry, plan.Dry, 1640, 1558, 1722},
		{plan.Dry, "", 1640, 1558, 2548.56},
		{plan.Dry, plan.Soaked, 2427.2, 2305.84, 2548.56},
		{plan.Soaked, plan.Soaked, 1640, 1558, 1722},
		{plan.Soaked, "", (1100.0 + 1722) / 2, 1100, 1722},
		{plan.Soaked, plan.Dry, (1100.0 + 1722) / 2, 1100, 1722},
	} {
		p := &plan.Plan{Materials: map[string]plan.OwnMaterial{"ours": {
			Name: "Our clay", Like: "clay", Wet: c.read,
			Density: &plan.DensityEstimate{Value: 1640, How: plan.Weighed},
		}}}
		s, ok := goods.StuffOf(p, &plan.Bulk{Material: "gravel", Own: "ours", Wet: c.lies})
		if !ok || s.Name != "Our clay" || s.ReposeLow != 30 {
			t.Fatalf("%+v", s)
		}
		what := string(c.read) + " read, lies " + string(c.lies)
		near(t, what, s.Lies.Nominal, c.nominal, 0.005)
		near(t, what+", low", s.Lies.Low, c.low, 0.005)
		near(t, what+", high", s.Lies.High, c.high, 0.005)
		if s.WetHigh < s.DryHigh || s.Lies.High > s.WetHigh+1e-9 && c.read != plan.Soaked {
			t.Errorf("%s: wet %v is lighter than dry %v", what, s.WetHigh, s.DryHigh)
		}
	}
}

// A material that is like nothing known has no slope to lie at: nothing is said, though its density
// is known. One of which no density is known has the usual one.
func TestStuffUnknown(t *testing.T) {
	p := &plan.Plan{Materials: map[string]plan.OwnMaterial{
		"odd":   {Name: "Slag", Density: &plan.DensityEstimate{Value: 2400}},
		"plain": {Name: "Our sand", Like: "sand"},
	}}
	box := goods.Bed{Length: 2, Width: 1, Side: 0.3}
	odd := goods.Of(p, "/loads/x", &plan.Load{Bulk: &plan.Bulk{Own: "odd", By: plan.ByHeaped}}, box)
	if odd.Mass != nil || len(odd.Needs) == 0 {
		t.Errorf("a heap of who knows what slope weighs %+v", odd.Mass)
	}
	a, ok := goods.StuffOf(p, &plan.Bulk{Own: "plain"})
	b, _ := goods.StuffOf(p, &plan.Bulk{Material: "sand"})
	if !ok || a.Lies != b.Lies || a.How != plan.Typical {
		t.Errorf("%+v, usual %+v", a.Lies, b.Lies)
	}
}

// A load said as its own material weighs what volume times density is: 2 m³ at 1640 ± 60.
func TestOwnDensity(t *testing.T) {
	within := quantity.Density(60)
	p := &plan.Plan{Materials: map[string]plan.OwnMaterial{"ours": {
		Like: "clay", Density: &plan.DensityEstimate{Value: 1640, PlusMinus: &within, How: plan.Weighed},
	}}}
	none := 0.0
	v := &plan.VolumeEstimate{Value: 2, Relative: &none, How: plan.Weighed}
	lot := goods.Of(p, "/loads/x", &plan.Load{Bulk: &plan.Bulk{Own: "ours", By: plan.ByVolume, Volume: v}}, goods.Bed{})
	near(t, "mass", lot.Mass.Nominal, 3280, 1e-9)
	near(t, "low", lot.Mass.Low, 3160, 1e-9)
	near(t, "high", lot.Mass.High, 3400, 1e-9)
	if lot.How != plan.Weighed {
		t.Errorf("known as %q", lot.How)
	}
}
