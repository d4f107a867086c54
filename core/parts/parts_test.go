package parts_test

import (
	"math"
	"testing"

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
