package lashing_test

import (
	"math"
	"strings"
	"testing"

	"zygonos/core/ask/lashing"
	"zygonos/core/internal/sample"
	"zygonos/core/lang/finding"
	"zygonos/core/lang/quantity"
	"zygonos/core/plan"
	"zygonos/core/rig"
)

// What tie points take, worked by hand. M8 8.8: A_s 0.78·π/4·8², shear 0.6·800·A_s/1.25, tension
// 0.9·800·A_s/1.25; half of it as a working limit. Plywood of 12 mm, washer of 40: punching 6861 N,
// bending 3016 N, bearing 4372 N at the low end; a third. Plate of 3 mm: 2π·235·3²/4, over 1.5.
func TestHoldOf(t *testing.T) {
	rating, yes, no := quantity.Mass(500), true, false
	m8 := func(in plan.FixedIn, thick quantity.Length, grade string) *plan.Fastening {
		return &plan.Fastening{Bolt: 0.008, Grade: grade, In: in, Thick: thick, Washer: 0.04}
	}
	for name, c := range map[string]struct {
		point     plan.TiePoint
		lean      float64
		low, high float64
		gives     string
		guess     bool
	}{
		"plate":                {plan.TiePoint{Kind: "ring-welded", Rating: &rating}, 1, 500, 500, "its plate", false},
		"eye bolt, aside":      {plan.TiePoint{Kind: "eye-bolt", Rating: &rating, Shoulder: &yes}, math.Pi / 4, 150, 150, "its plate", false},
		"its shoulder unknown": {plan.TiePoint{Kind: "eye-bolt", Rating: &rating}, math.Pi / 4, 0, 150, "the shank, when pulled sideways", true},
		"without a shoulder":   {plan.TiePoint{Kind: "eye-bolt", Rating: &rating, Shoulder: &no}, math.Pi / 4, 0, 0, "the shank, when pulled sideways", false},
		"plain, in line":       {plan.TiePoint{Kind: "eye-bolt", Rating: &rating, Shoulder: &no}, 0, 500, 500, "its plate", false},
		"plain, no plate":      {plan.TiePoint{Kind: "eye-bolt", Shoulder: &no}, 0.2, 0, 0, "the shank, when pulled sideways", true},
		"eye bolt, upward":     {plan.TiePoint{Kind: "eye-bolt", Rating: &rating}, 0, 500, 500, "its plate", false},
		"by kind":              {plan.TiePoint{Kind: "ring-welded"}, 0, 400, 800, "the weld's ends", true},
		"stake pocket":         {plan.TiePoint{Kind: "pocket"}, 0, 0, 60, "sheet metal: made for stakes, not for straps", true},
		"unknown":              {plan.TiePoint{}, 0, 0, 0, "", true},
		"bolt is stronger":     {plan.TiePoint{Kind: "ring-bolted", Fastening: m8(plan.InMember, 0.003, "8.8")}, math.Pi / 4, 300, 600, "the bolts", true},
		"M5, at 45°":           {plan.TiePoint{Kind: "receiver", Fastening: &plan.Fastening{Bolt: 0.005, Grade: "8.8"}}, math.Pi / 4, 735.39 * 25 / 64, 735.39 * 25 / 64, "the bolts", true},
		"plywood, upward":      {plan.TiePoint{Kind: "ring-bolted", Fastening: m8(plan.InPly, 0.012, "8.8")}, 0, 102.513, 205.026, "the plywood", true},
		"plywood, at 45°":      {plan.TiePoint{Kind: "ring-bolted", Fastening: m8(plan.InPly, 0.012, "8.8")}, math.Pi / 4, 144.975, 289.951, "the plywood", true},
		"thin plate":           {plan.TiePoint{Kind: "ring-bolted", Fastening: m8(plan.InPlate, 0.003, "8.8")}, 0, 225.849, 341.176, "the plate bends", true},
	} {
		h := lashing.HoldOf(c.point, c.lean)
		near(t, name+", low", h.Low, c.low, 0.01)
		near(t, name+", high", h.High, c.high, 0.01)
		if h.Gives != c.gives || h.Guess != c.guess {
			t.Errorf("%s: %+v", name, h)
		}
	}
	// Nobody knows the grade: the weakest at the low end, the strongest at the high one.
	h := lashing.HoldOf(plan.TiePoint{Kind: "receiver", Fastening: &plan.Fastening{Bolt: 0.006}}, 0)
	if !(h.Low < h.High) {
		t.Errorf("%+v", h)
	}
}

// upright is 30 kg of pull straight down on both sides.
var upright = lashing.Tie{Over: true, Limit: 500, Break: 1000, Pull: 30, Ends: []lashing.End{
	end(lashing.Vector{2.5, -0.4, 1.5}, lashing.Vector{2.5, -0.4, 0.5}), end(lashing.Vector{2.5, 0.4, 1.5}, lashing.Vector{2.5, 0.4, 0.5})}}

// 100 kg with its centre 0.9 m up on a footing of 1.0 × 0.8 m, friction 0.9: it does not slide.
// Forward it tips at 0.5/0.9 g: 24.44 kg are missing of 0.8 g; both ends turn it back by
// 2·30·0.5/0.9 over 1.25, 26.67 kg. Half the pull is too little, sideways too: 15.56 of 0.6 g
// against 30·0.8/0.9/1.1 = 24.24.
func TestTilt(t *testing.T) {
	v := lashing.European(block(0.9, 0.9, upright))
	near(t, "has", v.Has, 26.6667, 1e-3)
	near(t, "needs", v.Needs, 24.4444, 1e-3)
	if v.Direction != "forward, against tipping" || !v.Holds() {
		t.Errorf("%+v", v)
	}
	slack := upright
	slack.Pull = 15
	if v := lashing.European(block(0.9, 0.9, slack)); v.Holds() {
		t.Errorf("%+v", v)
	}
	// Drawn forward over its edge, 30 kg level at the top of both sides: 2·30·1.0/0.9 more to hold.
	ahead := upright
	ahead.Ends = []lashing.End{end(lashing.Vector{2.5, -0.4, 1.5}, lashing.Vector{1.5, -0.4, 1.5}), end(lashing.Vector{2.5, 0.4, 1.5}, lashing.Vector{1.5, 0.4, 1.5})}
	near(t, "drawn over", lashing.European(block(0.9, 0.9, ahead)).Has, -66.6667, 1e-3)
	if v := lashing.European(block(0.3, 0.9)); !v.Holds() { // low: nothing to hold
		t.Errorf("%+v", v)
	}
}

// 49 CFR 393.102: on friction 0.4 the breaking strengths' 0.8 g ask 40 kg of straps that press
// only: 2·30·0.4 = 24 kg; pressed down by 60 of 20 kg.
func TestPerformance(t *testing.T) {
	v := lashing.Performance(block(0.3, 0.4, upright))
	near(t, "has", v.Has, 24, 1e-9)
	near(t, "needs", v.Needs, 40, 1e-9)
	if v.Direction != "forward, breaking" {
		t.Error(v.Direction)
	}
	// On friction 0.9 only the hold-down is asked: a pull of 9 kg gives 18 of 20.
	slack := upright
	slack.Pull = 9
	v = lashing.Performance(block(0.3, 0.9, slack))
	near(t, "presses", v.Has, 18, 1e-9)
	near(t, "a fifth", v.Needs, 20, 1e-9)
}

// What stands in front bears 30 kg: 0.4 + 0.3 g forward, nothing more rearward; it presses low
// and does not keep it from tipping. The schools count it too.
func TestBlocked(t *testing.T) {
	l := block(0.1, 0.4)
	l.Blocks[0] = 30
	for push, want := range map[lashing.Vector]float64{forward: 0.7, rearward: 0.4, right: 0.4} {
		h, err := lashing.Hold(l, push, 0.4)
		if err != nil {
			t.Fatal(err)
		}
		near(t, "blocked in front", h.G, want, 1e-6)
	}
	tall := block(0.8, 0.9)
	tall.Blocks[0] = 500
	h, err := lashing.Hold(tall, forward, 0.9)
	if err != nil {
		t.Fatal(err)
	}
	near(t, "tips over it", h.G, 0.5/0.8, 1e-6)
	l.Blocks = [4]float64{40, 40, 40, 40}
	v := lashing.Guides(l) // 100·(0.8 − 0.4·0.8) = 48 of 40
	near(t, "blocks count", v.Has, 40, 1e-9)
	near(t, "asked", v.Needs, 48, 1e-9)
	r := tied(t, sample.Crate+"/blocked", `{"front":true,"left":true,"takes":150}`)
	if b := lashing.Loads(r)[0]; b.Blocks != [4]float64{150, 0, 150, 0} || !b.Blocked {
		t.Errorf("%v", b.Blocks)
	}
}

// Two straps at one ring take half of it each.
func TestSharedRing(t *testing.T) {
	l := lashing.Loads(tied(t, "/outings/o/layouts/t/lashings/b/from", `"fl"`))[0]
	for _, x := range l.Ties {
		near(t, x.ID, x.Limit, 250, 1e-9)
	}
}

// Light paddle craft bear 100 kg: two steep ends of a ratchet strap are drawn to half of that each,
// stated where the pull is the owner's own; a heavy hull bears more.
func TestPress(t *testing.T) {
	hull := []string{"/loads/crate/kind", `"canoe"`, "/loads/crate/mass/value", `40`}
	r := tied(t, hull...)
	l := lashing.Loads(r)[0]
	x := l.Ties[0]
	sum := 0.0
	for _, e := range x.Ends {
		sum -= e.Along[2] * x.Pull
	}
	near(t, "pressed with", sum, 100, 1e-6)
	near(t, "eased from", x.Eased, 250, 1e-9)
	f := sample.Find(t, lashing.Check(r), lashing.CodePress)
	if f.Outcome != finding.Holds || !strings.Contains(f.Says.Text(r.Plan.Locale()), "no more, and slacker in the heat") {
		t.Errorf("%s %s", f.Outcome, f.Says.Text(r.Plan.Locale()))
	}
	r = tied(t, append(hull, "/straps/s/pull", `200`)...)
	if f := sample.Find(t, lashing.Check(r), lashing.CodePress); f.Outcome != finding.Tight {
		t.Errorf("an own pull of 200 kg: %s", f.Outcome)
	}
	if l := lashing.Loads(tied(t, "/loads/crate/kind", `"motorboat"`))[0]; l.Ties[0].Eased != 0 {
		t.Error("a heavy boat is eased")
	}
	own := tied(t, append(hull, "/loads/crate/hull", `{"press":1000}`)...)
	if l := lashing.Loads(own)[0]; l.Ties[0].Eased != 0 {
		t.Error("a hull that bears more is eased")
	}
}

// Where a rule of sums fails only what adds to the sum is named: 80 kg twice are 160 of half of
// 400, a third makes 240; 30 kg twice are 60 and take five more; points of 60 under straps of
// 1000 are made as strong first.
func TestImproveRule(t *testing.T) {
	point := func(kg string) (sets []string) {
		for _, id := range []string{"fl", "fr", "rl", "rr"} {
			sets = append(sets, "/trailers/t/tiePoints/"+id+"/rating", kg)
		}
		return sets
	}
	for name, c := range map[string]struct {
		sets []string
		n    int
		says string
	}{
		"one more":         {[]string{"/straps/s/limit", `80`}, 1, "held by 160 kg of 200 kg. Cheapest: one more strap like Strap, at rings of its own, then 240 kg of 200 kg."},
		"five more":        {[]string{"/straps/s/limit", `30`}, 2, "held by 60 kg of 200 kg. Cheapest: 5 more straps like Strap, at rings of their own, then 210 kg of 200 kg."},
		"too weak by far":  {[]string{"/straps/s/limit", `5`}, 2, "held by 10 kg of 200 kg. Most helps: 12 more straps like Strap, at rings of their own, then 70 kg of 200 kg."},
		"weak tie points":  {point("60"), 3, "held by 120 kg of 200 kg. Cheapest: tie points that take 1000 kg, as the strap does, then 2000 kg of 200 kg."},
		"the best of them": {append(point("90"), "/straps/s/limit", `80`, "/outings/o/layouts/t/lashings/b/to", "-"), 1, "held by 120 kg of 200 kg. Cheapest: one more strap like Strap, at rings of its own, then 200 kg of 200 kg."},
	} {
		r := tied(t, append(c.sets, "/tieSchool", `"na"`)...)
		l := lashing.Loads(r)[0]
		if ways := lashing.ImproveRule(r, &l, "na"); len(ways) != c.n {
			t.Errorf("%s: %d ways, not %d", name, len(ways), c.n)
		}
		f := sample.Find(t, lashing.Check(r), lashing.CodeRule)
		if says := f.Says.Text(r.Plan.Locale()); f.Outcome != finding.Fails || !strings.Contains(says, c.says) {
			t.Errorf("%s: %s %q", name, f.Outcome, says)
		}
	}
	r := tied(t) // Europe: friction counts, and the mat is a fix that holds once applied
	f := sample.Find(t, lashing.Check(r), lashing.CodeRule)
	if says := f.Says.Text(r.Plan.Locale()); !strings.Contains(says, "Cheapest: a mat under it, then ") || len(f.Fixes) == 0 {
		t.Fatalf("%q, %d fixes", says, len(f.Fixes))
	}
	next, err := plan.Apply(r.Plan, f.Fixes[0].Patch)
	if err != nil || sample.Find(t, lashing.Check(rig.Resolve(next, "t", "o")), lashing.CodeRule).Outcome != finding.Holds {
		t.Errorf("the mat does not hold: %v", err)
	}
}

// What helps is tried by its effect: on friction 0.2 with slack straps, drawing them comes first;
// where they are tight, the mat; a patch for it holds when it is applied.
func TestImprove(t *testing.T) {
	r := tied(t, append([]string{"/straps/s/pull", `60`}, level...)...)
	l := lashing.Loads(r)[0]
	ways := lashing.Improve(r, &l, 0)
	if len(ways) < 3 || !ways[0].Holds || ways[0].Has < 0.8 {
		t.Fatalf("%+v", ways)
	}
	names := ""
	for _, w := range ways {
		names += w.Says.Text(r.Plan.Locale()) + "; "
	}
	// 400 kg pressed by six straps' two ends of 60 kg at 0.9285 on 0.25.
	for _, w := range ways {
		if strings.HasPrefix(w.Says.Text(r.Plan.Locale()), "4 more") {
			near(t, "four more, g", w.Has, 0.25*(400+12*60*0.92848)/400, 1e-4)
		}
	}
	// However strong straps and rings are, a ratchet leaves 250 kg by hand, a cam buckle 40.
	for kind, want := range map[string]string{"ratchet": "straps tightened to 250 kg", "cam": "straps tightened to 40 kg"} {
		strong := append([]string{"/straps/s/pull", `20`, "/straps/s/limit", `2500`, "/straps/s/kind", `"` + kind + `"`}, level...)
		for _, p := range []string{"fl", "fr", "rl", "rr"} {
			strong = append(strong, "/trailers/t/tiePoints/"+p+"/rating", `3000`)
		}
		r := tied(t, strong...)
		l := lashing.Loads(r)[0]
		names := ""
		for _, w := range lashing.Improve(r, &l, 0) {
			names += w.Says.Text(r.Plan.Locale()) + "; "
		}
		if !strings.Contains(names, want) {
			t.Errorf("%s: %q is not in %s", kind, want, names)
		}
	}
	for _, want := range []string{"a mat under it", "something that can take", "straps tightened to 250 kg", "4 more straps like Strap"} {
		if !strings.Contains(names, want) {
			t.Errorf("%q is not in %s", want, names)
		}
	}
	fs, _ := lashing.Statics(r)
	f := sample.Find(t, fs, lashing.CodeStatics)
	if f.Outcome != finding.Fails || len(f.Fixes) == 0 {
		t.Fatalf("%s, %d fixes", f.Outcome, len(f.Fixes))
	}
	for _, fix := range f.Fixes {
		next, err := plan.Apply(r.Plan, fix.Patch)
		if err != nil || len(plan.Clean(next)) > 0 {
			t.Fatal(err)
		}
	}
	if says := lashing.Answer(fs).Text(r.Plan.Locale()); !strings.Contains(says, "Crate stays put up to") {
		t.Error(says)
	}
	rough := []finding.Finding{{Stage: lashing.Stage, Outcome: finding.Tight, Tight: finding.GuessTooRough}, {Stage: "road", Outcome: finding.Fails}}
	if says := lashing.Answer(rough).Text(r.Plan.Locale()); !strings.Contains(says, "look for tags and plates") {
		t.Error(says)
	}
	if says := lashing.Answer(nil).Text(r.Plan.Locale()); !strings.Contains(says, "Nothing stands") {
		t.Error(says)
	}
}
