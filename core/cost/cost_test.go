package cost_test

import (
	"math"
	"testing"

	"zygonos/core/cost"
	"zygonos/core/lang/quantity"
	"zygonos/core/plan"
)

func money(v quantity.Money) *quantity.Money { return &v }
func hours(v float64) *quantity.Time         { t := quantity.Time(v * 3600); return &t }

// Offer 800 and 20 % tax on it 160, fetching 40, office 95, a floor 85, a repair
// 110: 1290. Missing papers may cost 350 more. 9 + 3 + 1.5 hours.
func TestOf(t *testing.T) {
	tax := 0.2
	tr := &plan.Trailer{Papers: plan.PapersMissing, Deal: &plan.Deal{Price: money(900), Offer: money(800), Tax: &tax, Fetch: money(40), Office: money(95), PapersRisk: money(350), Hours: hours(9),
		Buys:    map[string]plan.Buy{"floor": {Order: 1, Name: "floor", Price: money(85), Hours: hours(3)}, "jack": {Order: 2, Name: "jack"}},
		Repairs: map[string]plan.Buy{"tyres": {Name: "tyres", Price: money(110), Hours: hours(1.5)}}}}
	b := cost.Of("t", tr)
	if math.Abs(float64(b.Money)-1290) > 1e-9 || b.Risk != 350 || math.Abs(float64(b.Hours)-13.5*3600) > 1e-6 || b.Open != 1 || !b.Known || len(b.Lines) != 9 {
		t.Errorf("%+v", b)
	}
	tr.Papers = plan.PapersComplete
	if cost.Of("t", tr).Risk != 0 {
		t.Error("complete papers are no risk")
	}
	if b := cost.Of("t", &plan.Trailer{}); b.Known || b.Money != 0 || b.Lines == nil {
		t.Errorf("no deal: %+v", b)
	}
}

func TestSkills(t *testing.T) {
	bolt, weld, paid := map[plan.Skill]bool{plan.SkillBolt: true}, map[plan.Skill]bool{plan.SkillWeld: true}, map[plan.Skill]bool{plan.SkillWelder: true}
	for _, c := range []struct {
		have  map[plan.Skill]bool
		needs plan.Skill
		want  bool
	}{{nil, "", true}, {nil, plan.SkillBolt, false}, {bolt, plan.SkillBolt, true}, {weld, plan.SkillBolt, true}, {bolt, plan.SkillWeld, false}, {weld, plan.SkillWeld, true}, {paid, plan.SkillWeld, true}, {weld, plan.SkillWelder, false}} {
		if got := cost.Can(c.have, c.needs); got != c.want {
			t.Errorf("%v for %q: %v", c.have, c.needs, got)
		}
	}
	if cost.Needs(&plan.Trailer{Comes: plan.ComesKit}) != plan.SkillBolt || cost.Needs(&plan.Trailer{Comes: plan.ComesOwn}) != plan.SkillWeld || cost.Needs(&plan.Trailer{Comes: plan.ComesUsed}) != "" {
		t.Error("usual skills")
	}
}
