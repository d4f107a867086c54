package parts_test

import (
	"math"
	"testing"

	"zygonos/core/lang/quantity"
	"zygonos/core/parts"
	"zygonos/core/plan"
)

func near(t *testing.T, what string, got, want float64) {
	t.Helper()
	if math.Abs(got-want) > 1e-9*math.Max(1, math.Abs(want)) {
		t.Errorf("%s: got %.9g, want %.9g", what, got, want)
	}
}

// Flat bars 100 × 10 mm of steel weigh 7.85 kg/m. Two frames, two posts to each, tiers 0.5
// and 1.0 m up with bars of 1.2 and 1.0 m: bars 2·1.2 + 2·1.0 = 4.4 m, posts 4·0.9 = 3.6 m.
func TestRack(t *testing.T) {
	flat := plan.Profile{Shape: "bar", Height: 0.1, Width: 0.01, Material: "s235"}
	r := &plan.Rack{FrontAt: 0.2, RearAt: 1.4, Apart: 0.8, Post: flat, Bar: flat, Tiers: map[string]plan.Tier{"a": {Order: 1, Up: 0.5, Length: 1.2}, "b": {Order: 2, Up: 1, Length: 1}}}
	sum := 0.0
	for _, m := range parts.Members(r) {
		sum += m.Mass()
	}
	near(t, "mass", sum, 8*7.85)
	p := parts.Filled(plan.Part{Name: "rack", Rack: r})
	near(t, "part's mass", float64(p.Mass.Value), 8*7.85)
	// Bars' middles at 0.45 and 0.95 m, posts' at 0.45: (2.4·0.45 + 2.0·0.95 + 3.6·0.45)/8.
	near(t, "up", float64(p.Centre.Up.Value), 4.6/8)
	near(t, "back", float64(p.Centre.Back.Value), 0.8)
	near(t, "width", float64(p.Size.Width.Value), 1.2)
	near(t, "height", float64(p.Size.Height.Value), 1)
	near(t, "length", float64(p.Size.Length.Value), 1.4+0.05)
	// A frame midway and a third post each: 3 frames.
	r.Middle, r.Posts = true, 3
	sum = 0
	for _, m := range parts.Members(r) {
		sum += m.Mass()
	}
	near(t, "three frames", sum, (3*2.2+9*0.9)*7.85)
	r.Posts = 1
	if at := parts.PostsAt(r); len(at) != 1 || at[0] != 0 {
		t.Errorf("a T stands on %v", at)
	}
}

func TestStatedParts(t *testing.T) {
	m := plan.MassEstimate{Value: 12, How: plan.Weighed}
	stated := plan.Part{Mass: &m}
	if p := parts.Filled(stated); p.Mass != &m {
		t.Error("a part that is not built of stock changed")
	}
	thin := plan.Part{Mass: &m, Rack: &plan.Rack{Bar: plan.Profile{Shape: "tube", Height: 0.05, Width: 0.05, Material: "s235"}, Tiers: map[string]plan.Tier{"a": {Up: 0.05, Length: 1}}}}
	if p := parts.Filled(thin); p.Mass != &m { // no wall: no mass of its own
		t.Errorf("%+v", p.Mass)
	}
}

// 30 × 30 × 2 slides into 40 × 40 × 3 (34 mm of room), 40 × 40 × 2 does not. Second moments add:
// 9.32 + 2.72 = 12.04 cm⁴ (EN 10219-2), over 20 mm 6.02 cm³. In aluminium bars steel counts three
// times as stiff, and its own edge bears more than the bar's.
func TestInsert(t *testing.T) {
	tube := func(h, wall quantity.Length, material string) plan.Profile {
		return plan.Profile{Shape: "tube", Height: h, Width: h, Wall: wall, Material: material}
	}
	in := tube(0.03, 0.002, "mild")
	r := plan.Rack{Bar: tube(0.04, 0.003, "mild"), Insert: &in}
	if !parts.SlidesIn(in, r.Bar) || parts.SlidesIn(tube(0.04, 0.002, "mild"), r.Bar) {
		t.Error("what slides in")
	}
	s, err := parts.Bars(&r)
	if err != nil || math.Abs(s.Iy*1e8-12.04) > 0.05 || math.Abs(s.Wy*1e6-6.02) > 0.03 {
		t.Errorf("I %v cm⁴, W %v cm³, %v", s.Iy*1e8, s.Wy*1e6, err)
	}
	soft := plan.Rack{Bar: tube(0.04, 0.003, "al6061"), Insert: &in}
	mixed, _ := parts.Bars(&soft)
	// ΣI = 9.32 + 205/69·2.72 = 17.40 cm⁴; the bar's edge 8.70 cm³; the insert's own
	// 17.40·(133/160)/(2.971·1.5 cm) = 3.25 cm³ counts.
	if math.Abs(mixed.Iy*1e8-17.40) > 0.08 || math.Abs(mixed.Wy*1e6-3.25) > 0.04 {
		t.Errorf("mixed: I %v cm⁴, W %v cm³", mixed.Iy*1e8, mixed.Wy*1e6)
	}
	bare, _ := parts.Bars(&plan.Rack{Bar: r.Bar})
	big := tube(0.05, 0.003, "mild")
	if none, _ := parts.Bars(&plan.Rack{Bar: r.Bar, Insert: &big}); none != bare {
		t.Error("what does not go in counts")
	}
	rk := plan.Rack{Bar: r.Bar, Post: r.Bar, Apart: 1, RearAt: 2, Tiers: map[string]plan.Tier{"a": {Up: 0.8, Length: 1.5}}}
	before := *parts.Filled(plan.Part{Rack: &rk}).Mass
	rk.Insert = &in
	after := *parts.Filled(plan.Part{Rack: &rk}).Mass
	if d := float64(after.Value - before.Value); math.Abs(d-2*1.5*2.14e-4*7850) > 0.06 { // two of 1.5 m, 2.14 cm²
		t.Errorf("the inserts weigh %v", d)
	}
}
