package lashing_test

import (
	"math"
	"math/rand/v2"
	"testing"

	"zygonos/core/ask/lashing"
	"zygonos/core/facts/norms"
	"zygonos/core/lang/quantity"
	"zygonos/core/plan"
	"zygonos/core/rig"
)

func near(t *testing.T, what string, got, want, within float64) {
	t.Helper()
	if !(math.Abs(got-want) <= within) {
		t.Errorf("%s: got %.7g, want %.7g", what, got, want)
	}
}

// block is 100 kg, 1.0 × 0.8 × 1.0 m with its centre at h, on friction mu.
func block(h, mu float64, ties ...lashing.Tie) *lashing.Load {
	it := &rig.Item{Front: 2, Rear: 3, Left: -0.4, Right: 0.4, Bottom: 0.5, Top: 1.5, Shape: "box"}
	return &lashing.Load{Item: it, Mass: 100, Centre: lashing.Vector{2.5, 0, 0.5 + h}, Grip: norms.Grip{Low: mu, High: mu}, Ties: ties}
}

func end(hold, point lashing.Vector) lashing.End {
	v := lashing.Vector{point[0] - hold[0], point[1] - hold[1], point[2] - hold[2]}
	n := math.Sqrt(v[0]*v[0] + v[1]*v[1] + v[2]*v[2])
	return lashing.End{Hold: hold, Point: point, Along: lashing.Vector{v[0] / n, v[1] / n, v[2] / n}}
}

var forward, rearward, right, up = lashing.Vector{-1, 0, 0}, lashing.Vector{1, 0, 0}, lashing.Vector{0, 1, 0}, lashing.Vector{0, 0, 1}

// Hand statics in two dimensions.
func TestHold(t *testing.T) {
	// A strap straight down on both sides, 30 kg of pull: presses 60 kg more on friction 0.4.
	over := lashing.Tie{Over: true, Limit: 500, Pull: 30, Ends: []lashing.End{
		end(lashing.Vector{2.5, -0.4, 1.5}, lashing.Vector{2.5, -0.4, 0.5}), end(lashing.Vector{2.5, 0.4, 1.5}, lashing.Vector{2.5, 0.4, 0.5})}}
	// One that pulls level and rearward at floor height with up to 50 kg.
	back := lashing.Tie{Limit: 50, Pull: 10, Ends: []lashing.End{end(lashing.Vector{3, 0, 0.5}, lashing.Vector{4, 0, 0.5})}}
	// One at 45°, rearward and down from the floor's height of the rear edge: 70.7 each way.
	steep := lashing.Tie{Limit: 100, Pull: 10, Ends: []lashing.End{end(lashing.Vector{3, 0, 0.5}, lashing.Vector{3.4, 0, 0.1})}}
	// Over the top, leaning rearward by so much on one metre down: webbing holds its place on the
	// load up to 0.2, beyond it slides along it and gives its pull.
	leaning := func(by float64) lashing.Tie {
		return lashing.Tie{Over: true, Limit: 40, Pull: 30, Ends: []lashing.End{
			end(lashing.Vector{2.5, -0.4, 1.5}, lashing.Vector{2.5 + by, -0.4, 0.5}), end(lashing.Vector{2.5, 0.4, 1.5}, lashing.Vector{2.5 + by, 0.4, 0.5})}}
	}
	for name, c := range map[string]struct {
		l     *lashing.Load
		push  lashing.Vector
		mu, g float64
		gives string
	}{
		"over, leaning too far":        {block(0.1, 0.4, leaning(0.5)), forward, 0.4, 0.4*(1+0.6*0.894427) + 0.6*0.447214, "slips"},
		"over, leaning a little":       {block(0.1, 0.4, leaning(0.15)), forward, 0.4, 0.4*(1+0.8*0.988936) + 0.8*0.148340, "strap"},
		"slips on friction alone":      {block(0.3, 0.4), forward, 0.4, 0.4, "slips"},
		"tips before it slips":         {block(0.8, 0.9), forward, 0.9, 0.5 / 0.8, "tips"},
		"tips sideways":                {block(0.8, 0.9), right, 0.9, 0.4 / 0.8, "tips"},
		"no friction, no strap":        {block(0.3, 0), forward, 0, 0, "slips"},
		"bare, upward":                 {block(0.3, 0.4), up, 0.4, 0, "lifts"},
		"pressed down":                 {block(0.3, 0.4, over), forward, 0.4, 0.4 * 1.6, "slips"},
		"pressed down, upward":         {block(0.3, 0.4, over), up, 0.4, 10, "strap"},
		"held back":                    {block(0.1, 0.4, back), forward, 0.4, 0.4 + 0.5, "strap"},
		"not lengthened: its pull":     {block(0.1, 0.4, back), rearward, 0.4, 0.4, "slips"},
		"at 45°, friction counts down": {block(0.05, 0.4, steep), forward, 0.4, 0.4 + 0.70711*(1+0.4), "strap"},
	} {
		h, err := lashing.Hold(c.l, c.push, c.mu)
		if err != nil {
			t.Errorf("%s: %v", name, err)
			continue
		}
		near(t, name, h.G, c.g, 1e-4)
		if h.Gives != c.gives {
			t.Errorf("%s: it %s, want %s", name, h.Gives, c.gives)
		}
	}
	if _, err := lashing.Hold(&lashing.Load{Item: &rig.Item{}}, forward, 0.4); err == nil {
		t.Error("a load without weight holds")
	}
	// A machine tips about its tyres, not about its bodywork: 0.6 of 0.8 m between their middles,
	// wheels at 0.2 and 0.7 of 1 m, the centre 0.5 up over the middle; in one track it does not stand.
	m := func(v float64) *plan.LengthEstimate { return &plan.LengthEstimate{Value: quantity.Length(v)} }
	wheels := block(0.5, 0.9)
	wheels.Item.Load = &plan.Load{Rolling: &plan.Rolling{FrontAxle: m(0.2), Wheelbase: m(0.5), Track: m(0.6)}}
	for _, c := range []struct {
		push lashing.Vector
		g    float64
	}{{forward, 0.3 / 0.5}, {rearward, 0.2 / 0.5}, {right, 0.3 / 0.5}} {
		h, err := lashing.Hold(wheels, c.push, 0.9)
		if err != nil || h.Gives != "tips" {
			t.Errorf("on wheels: %v, %v", h, err)
		}
		near(t, "on wheels", h.G, c.g, 1e-6)
	}
	wheels.Item.Load.Rolling.Track = m(0)
	h, _ := lashing.Hold(wheels, right, 0.9)
	near(t, "in one track", h.G, 0.02/0.5, 1e-6)
	// EN 12195-1 asks 0.6 − 0.3/0.5 of it sideways: zero; on one track 0.6 − 0.02/0.5.
	v := lashing.European(wheels)
	near(t, "EN, in one track", v.Needs, 100*(0.6-0.02/0.5), 1e-6)
}

// Against random ways to bear it: no set of forces that is allowed and in balance holds
// more; doubling the limits and pulls never holds less; mirrored, left is right.
func TestHoldProperties(t *testing.T) {
	r := rand.New(rand.NewPCG(5, 7))
	for range 60 {
		h, mu := 0.1+0.8*r.Float64(), 0.1+0.5*r.Float64()
		var ties, double, mirror []lashing.Tie
		for range 1 + r.IntN(4) {
			hold := lashing.Vector{2 + r.Float64(), -0.4 + 0.8*r.Float64(), 0.5 + r.Float64()}
			at := lashing.Vector{1 + 3*r.Float64(), -0.8 + 1.6*r.Float64(), 0.45}
			k := lashing.Tie{Limit: 20 + 100*r.Float64(), Ends: []lashing.End{end(hold, at)}}
			k.Pull = k.Limit / 4
			ties = append(ties, k)
			d := k
			d.Limit, d.Pull = 2*k.Limit, 2*k.Pull
			double = append(double, d)
			hold[1], at[1] = -hold[1], -at[1]
			m := k
			m.Ends = []lashing.End{end(hold, at)}
			mirror = append(mirror, m)
		}
		for _, push := range []lashing.Vector{forward, rearward, right, up} {
			one, err := lashing.Hold(block(h, mu, ties...), push, mu)
			if err != nil {
				t.Fatal(err)
			}
			two, err := lashing.Hold(block(h, mu, double...), push, mu)
			if err != nil || two.G < one.G-1e-6 {
				t.Errorf("twice as strong holds %v, once %v (%v)", two.G, one.G, err)
			}
			p := push
			p[1] = -p[1]
			other, err := lashing.Hold(block(h, mu, mirror...), p, mu)
			if err != nil {
				t.Fatal(err)
			}
			near(t, "mirrored", other.G, one.G, 1e-6)
			// Less friction never holds more.
			if less, err := lashing.Hold(block(h, mu, ties...), push, mu/2); err != nil || less.G > one.G+1e-6 {
				t.Errorf("half the friction holds %v, all %v (%v)", less.G, one.G, err)
			}
		}
	}
}

// 49 CFR 393.110 at every boundary.
func TestLeastTies(t *testing.T) {
	const ft, lb = 0.3048, 0.45359237
	for _, c := range []struct {
		feet, pounds float64
		blocked      bool
		want         int
	}{
		{5, 1100, false, 1}, {5, 1101, false, 2}, {5.01, 1100, false, 2}, {3, 5000, false, 2}, {10, 500, false, 2}, {10.01, 500, false, 3}, {20, 500, false, 3}, {20.1, 500, false, 4},
		{5, 5000, true, 1}, {10, 5000, true, 1}, {10.1, 500, true, 2}, {30, 500, true, 3},
	} {
		if got := norms.LeastTies(c.feet*ft, c.pounds*lb, c.blocked); got != c.want {
			t.Errorf("%v ft, %v lb, blocked %v: %d, want %d", c.feet, c.pounds, c.blocked, got, c.want)
		}
	}
	for inches, pounds := range map[float64]float64{1: 0, 1.75: 1750, 2: 2000, 3: 3000, 4: 4000} {
		near(t, "webbing", norms.Webbing(inches*0.0254), pounds*lb, 1e-6)
	}
}

// The rules, worked by hand: 100 kg on friction 0.3, one strap over it at 60° to the floor
// on both sides, 200 kg of pull, 500 kg limit.
func TestRules(t *testing.T) {
	c, s := math.Cos(math.Pi/3), math.Sin(math.Pi/3)
	over := lashing.Tie{Over: true, Limit: 500, Pull: 200, Ends: []lashing.End{
		{Hold: lashing.Vector{2.5, -0.4, 1.5}, Along: lashing.Vector{0, -c, -s}}, {Hold: lashing.Vector{2.5, 0.4, 1.5}, Along: lashing.Vector{0, c, -s}}}}
	l := block(0.3, 0.3, over)
	na := lashing.NorthAmerica(l)
	near(t, "over in full", na.Has, 500, 0)
	near(t, "half the weight", na.Needs, 50, 0)
	if na.Least != 1 || na.Count != 1 || !na.Holds() {
		t.Errorf("%+v", na)
	}
	en := lashing.European(l) // forward: 100·(0.8 − 0.3) = 50 of 2·0.3·sin 60°·200/1.25 = 83.1
	near(t, "friction lashing", en.Has, 2*0.3*0.866025*200/1.25, 1e-3)
	near(t, "asked", en.Needs, 50, 1e-9)
	au := lashing.Guides(l) // 100·(0.8 − 0.24) = 56
	near(t, "guides ask", au.Needs, 56, 1e-9)
	// Directly: 45° down, straight rearward, 100 kg: 100·(0.75·0.3·0.7071 + 0.7071) = 86.62 of
	// 100·(0.8 − 0.225) = 57.5 forward; rearward nothing of 27.5: that governs.
	direct := block(0.3, 0.3, lashing.Tie{Limit: 100, Pull: 25, Ends: []lashing.End{{Along: lashing.Vector{math.Sqrt2 / 2, 0, -math.Sqrt2 / 2}}}})
	en = lashing.European(direct)
	if en.Direction != "rearward" || en.Has != 0 || en.Holds() {
		t.Errorf("%+v", en)
	}
	near(t, "direct counts half", lashing.NorthAmerica(direct).Has, 50, 0)
}

// At 80 km/h (22.22 m/s) ½·1.25·22.22² = 308.6 Pa, 31.47 kg/m²: a hull of 4.5 × 0.6 × 0.35 m
// lifts by up to 84.97 kg and is pushed by up to 1.1·0.21·31.47 = 7.27 kg.
func TestWind(t *testing.T) {
	lift, drag := lashing.Wind(4.5, 0.6, 0.35, 80/3.6)
	near(t, "lift", lift, 84.97, 0.02)
	near(t, "drag", drag, 7.27, 0.01)
	if l, d := lashing.Wind(4, 1, 1, 0); l != 0 || d != 0 {
		t.Error("wind at rest")
	}
}

// Untied, or with a strap straight over its middle, a block tips about its edge where that
// comes before friction gives, and slips where not.
func TestSlipsOrTips(t *testing.T) {
	r := rand.New(rand.NewPCG(11, 14))
	for range 200 {
		h, mu := 0.1+0.85*r.Float64(), 0.1+0.9*r.Float64()
		var ties []lashing.Tie
		pull := 0.0
		if r.IntN(2) == 0 { // pull on both sides presses it down, its middle on its middle
			pull = 10 + 30*r.Float64()
			ties = append(ties, lashing.Tie{Over: true, Limit: 500, Pull: pull, Ends: []lashing.End{
				end(lashing.Vector{2.5, -0.4, 1.5}, lashing.Vector{2.5, -0.4, 0.5}), end(lashing.Vector{2.5, 0.4, 1.5}, lashing.Vector{2.5, 0.4, 0.5})}})
		}
		for _, c := range []struct {
			push lashing.Vector
			half float64
		}{{forward, 0.5}, {right, 0.4}} {
			tips, slips := c.half/h*(1+2*pull/100), mu*(1+2*pull/100)
			if math.Abs(tips-slips) < 0.01 {
				continue
			}
			got, err := lashing.Hold(block(h, mu, ties...), c.push, mu)
			if err != nil {
				t.Fatal(err)
			}
			want := "slips"
			if tips < slips {
				want = "tips"
			}
			if got.Gives != want {
				t.Errorf("h %v, μ %v, pull %v: it %s at %v g, want %s", h, mu, pull, got.Gives, got.G, want)
			}
		}
	}
}
