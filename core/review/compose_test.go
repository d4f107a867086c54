package review_test

import (
	"context"
	"encoding/json"
	"fmt"
	"math"
	"math/rand/v2"
	"strings"
	"testing"

	"zygonos/core/ask/lashing"
	"zygonos/core/ask/stance"
	"zygonos/core/internal/sample"
	"zygonos/core/lang/finding"
	"zygonos/core/plan"
	"zygonos/core/review"
	"zygonos/core/rig"
	"zygonos/core/study"
)

// js is a value as JSON text, for sample.Plan.
func js(v any) string {
	b, err := json.Marshal(v)
	if err != nil {
		panic(err)
	}
	return string(b)
}

type obj = map[string]any

func exact(v float64) obj { return obj{"value": v, "plusMinus": 0, "how": "weighed"} }

// machine is the sample with the crate as a machine on ramps, tied down at four corners.
func machine() []string {
	ring := func(back, right float64) obj {
		return obj{"order": 1, "kind": "ring-welded", "rating": 500, "at": obj{"back": back, "right": right}}
	}
	corner := func(order int, from string, back, right float64) obj {
		return obj{"order": order, "load": "crate", "strap": "s", "from": from, "hold": obj{"back": back, "right": right, "up": 0.4}}
	}
	return []string{"/trailers/t/deckHeight", js(exact(0.5)), "/trailers/t/couplingHeight", `0.45`,
		"/trailers/t/floor", `"ply"`, "/loads/crate/kind", `"quad"`,
		"/loads/crate/size", js(obj{"length": exact(1.9), "width": exact(1.1), "height": exact(1.1)}),
		"/loads/crate/rolling", js(obj{"frontAxle": exact(0.35), "wheelbase": exact(1.2), "track": exact(0.9), "clearance": exact(0.25), "wheel": 0.56, "tyre": 0.2}),
		sample.Crate + "/at/back", `0.3`,
		"/parts/ramps", js(obj{"order": 1, "name": "Ramps", "mass": exact(30), "size": obj{"length": exact(0.2)}, "centre": obj{"back": exact(0.1)},
			"ramp": obj{"length": 2, "width": 0.3, "rating": 900, "counts": "vehicle", "per": "pair", "held": "pins", "lip": 0.08}}),
		"/outings/o/layouts/t/parts", `{"ramps":{"at":{"back":2.3}}}`,
		"/outings/o/layouts/t/loading", `{"machine":"crate","ramp":"ramps","unhitched":true}`,
		"/trailers/t/tiePoints", js(obj{"fl": ring(0.1, -0.65), "fr": ring(0.1, 0.65), "rl": ring(2.4, -0.65), "rr": ring(2.4, 0.65)}),
		"/straps", `{"s":{"order":1,"name":"Strap","kind":"ratchet","limit":1000,"length":6,"count":6}}`,
		"/outings/o/layouts/t/lashings", js(obj{"a": corner(1, "fl", 0.3, -0.4), "b": corner(2, "fr", 0.3, 0.4), "c": corner(3, "rl", 1.6, -0.4), "d": corner(4, "rr", 1.6, 0.4)}),
	}
}

// bodies are the findings that hang on mass and centre of what is carried, by key: how it
// presses, stands, gets on and is held. Left out: yaw inertia, in which a body is a box.
func bodies(rep *review.Report) map[string]*finding.Finding {
	out := map[string]*finding.Finding{}
	for i := range rep.Findings {
		f := &rep.Findings[i]
		if strings.HasPrefix(f.Code, "sway.") || strings.HasPrefix(f.Code, "plausible.") {
			continue
		}
		out[f.Key()] = f
	}
	return out
}

func alike(t *testing.T, what string, a, b map[string]*finding.Finding) {
	t.Helper()
	for key, f := range a {
		g := b[key]
		if g == nil {
			t.Errorf("%s: %s is found of one alone", what, key)
			continue
		}
		if f.Outcome != g.Outcome {
			t.Errorf("%s: %s is %s and %s", what, key, f.Outcome, g.Outcome)
		}
		if (f.Figure == nil) != (g.Figure == nil) {
			t.Errorf("%s: %s has a figure in one alone", what, key)
		} else if f.Figure != nil && math.Abs(f.Figure.Value-g.Figure.Value) > 1e-6*(1+math.Abs(f.Figure.Value)) {
			t.Errorf("%s: %s comes to %v and %v", what, key, f.Figure.Value, g.Figure.Value)
		}
	}
}

// A thing said as a body with contents, in either way of counting, weighed end by end, or
// with something standing on it gets the answers of the single body that it is.
func TestComposites(t *testing.T) {
	long(t)
	rnd := rand.New(rand.NewPCG(14, 1))
	for n := range 60 {
		turn := []int{0, 180}[rnd.IntN(2)]
		at := func(lo, hi float64) float64 { return lo + (hi-lo)*rnd.Float64() }
		type lump struct{ m, x, y, z float64 }
		body := lump{at(200, 400), at(0.7, 1.2), at(-0.1, 0.1), at(0.3, 0.6)}
		in := []lump{{at(20, 150), at(0, 1.9), at(-0.5, 0.5), at(0.05, 1)}, {at(5, 60), at(0, 1.9), at(-0.5, 0.5), at(0.05, 1)}}
		sum := lump{}
		for _, l := range append(in, body) {
			sum.m += l.m
			sum.x, sum.y, sum.z = sum.x+l.m*l.x, sum.y+l.m*l.y, sum.z+l.m*l.z
		}
		sum.x, sum.y, sum.z = sum.x/sum.m, sum.y/sum.m, sum.z/sum.m
		centre := func(l lump) string {
			return js(obj{"back": exact(l.x), "right": exact(l.y), "up": exact(l.z)})
		}
		contents := obj{}
		for i, l := range in {
			contents[fmt.Sprint("c", i)] = obj{"order": i, "name": "Thing", "mass": exact(l.m), "at": obj{"back": l.x, "right": l.y, "up": l.z}}
		}
		put := append(machine(), sample.Crate+"/turn", fmt.Sprint(turn), "/outings/o/layouts/t/loading/unhitched", fmt.Sprint(n%2 == 0))
		report := func(more ...string) map[string]*finding.Finding {
			return bodies(study.Settled(context.Background(), sample.Plan(t, append(put, more...)...), review.Request{}))
		}
		single := report("/loads/crate/mass", js(exact(sum.m)), "/loads/crate/centre", centre(sum))
		seen := map[string]bool{}
		for _, f := range single {
			seen[f.Code] = true
		}
		for _, code := range []string{"balance.ball-window", "stance.side", "stance.braking", "ramp.tip", "ramp.clearance", "tie.rule", "tie.statics"} {
			if !seen[code] {
				t.Fatalf("nothing is compared of %s", code)
			}
		}
		alike(t, fmt.Sprint("contents ", n), single,
			report("/loads/crate/mass", js(exact(body.m)), "/loads/crate/centre", centre(body), "/loads/crate/contents", js(contents)))
		alike(t, fmt.Sprint("counted in the whole ", n), single,
			report("/loads/crate/mass", js(exact(sum.m)), "/loads/crate/centre", centre(body), "/loads/crate/contents", js(contents), "/loads/crate/massCounts", `"whole"`))
		// Weighed end by end the bare body's height is what is stated; contents' places follow
		// from the readings.
		front := sum.m * (1.7 - sum.x) / 1.5
		alike(t, fmt.Sprint("end by end ", n), single,
			report("/loads/crate/centre", js(obj{"right": exact(sum.y), "up": exact(sum.z)}),
				"/loads/crate/ends", js(obj{"front": exact(front), "rear": exact(sum.m - front), "frontAt": 0.2, "rearAt": 1.7})))
	}
}

// What stands on a thing moves with it: a rider and a content in the same place press,
// tip and hold alike. The rider has lashings and a height of its own, which are left out.
func TestRiderAsContent(t *testing.T) {
	put := append(machine(), "/loads/crate/mass", js(exact(300)), "/loads/crate/centre", js(obj{"back": exact(1), "right": exact(0), "up": exact(0.5)}))
	rider := report(t, append(put, "/loads/sack", js(obj{"order": 2, "name": "Sack", "mass": exact(50),
		"size": obj{"length": exact(0.4), "width": exact(0.4), "height": exact(0.4)}, "centre": obj{"back": exact(0.2), "right": exact(0), "up": exact(0.2)}}),
		"/outings/o/layouts/t/placements/sack", `{"on":"load","id":"crate","at":{"back":0,"right":0.1}}`)...)
	content := report(t, append(put, "/loads/crate/contents", js(obj{"c": obj{"order": 1, "name": "Sack", "mass": exact(50), "at": obj{"back": 0.2, "right": 0.1, "up": 1.3}}}))...)
	for key := range content {
		if f := content[key]; f.Code == stance.CodeSlope || f.Code == stance.CodeBrake { // heights' doubts differ, figures must not
			continue
		}
		if strings.HasPrefix(content[key].Code, "clearance.") || strings.HasPrefix(content[key].Code, "fit.") {
			delete(content, key)
		}
	}
	for key := range content {
		if rider[key] == nil {
			delete(content, key)
		}
	}
	alike(t, "rider", content, rider)
}

func report(t *testing.T, sets ...string) map[string]*finding.Finding {
	t.Helper()
	return bodies(study.Settled(context.Background(), sample.Plan(t, sets...), review.Request{}))
}

// Worked apart from the code: a machine of 465 kg, wheelbase 1.9 m, centre 1.3 m behind its
// nose, with 120 kg of contents at the nose is one body of 585 kg whose centre lies at
// 465·1.3/585 = 1.03333 m. A box of 100 kg (1.0 × 0.8 × 1.0 m, centre at half of each) with
// an engine of 200 kg at 0.1 m behind its front and 0.9 m up: 300 kg at (50 + 20)/300 =
// 0.23333 m and (50 + 180)/300 = 0.76667 m, which tips forward at 0.23333/0.76667 = 0.30435 g.
func TestContentsByHand(t *testing.T) {
	r := rig.Resolve(sample.Plan(t, "/trailers/t/deckHeight", js(exact(0.5)), "/loads/crate/mass", js(exact(465)),
		"/loads/crate/size", js(obj{"length": exact(2.6), "width": exact(1.4), "height": exact(1.8)}),
		"/loads/crate/centre", js(obj{"back": exact(1.3), "up": exact(0.6)}),
		"/loads/crate/contents", js(obj{"a": obj{"order": 1, "name": "Sacks", "mass": exact(120), "at": obj{"back": 0, "up": 0.9}}})), "t", "o")
	b := r.Moves(0)
	close := func(what string, got, want float64) {
		t.Helper()
		if math.Abs(got-want) > 1e-4 {
			t.Errorf("%s: got %v, want %v", what, got, want)
		}
	}
	close("mass", b.Mass, 585)
	close("centre", b.X-r.Items[0].Front, 1.033333)
	close("height", b.Z-0.5, (465*0.6+120*0.9)/585)
	// J = 465·(2.6² + 1.4²)/12 + 465·(1.3 − 1.03333)² + 120·1.03333².
	close("inertia", b.Yaw, 465*(6.76+1.96)/12+465*0.0711111+120*1.0677778)

	// The second fault: forward it tips long before it slips.
	r = rig.Resolve(sample.Plan(t, "/trailers/t/deckHeight", js(exact(0.5)), "/loads/crate/mass", js(exact(100)),
		"/loads/crate/size", js(obj{"length": exact(1), "width": exact(0.8), "height": exact(1)}),
		"/loads/crate/centre", js(obj{"back": exact(0.5), "up": exact(0.5)}),
		"/loads/crate/contents", js(obj{"e": obj{"order": 1, "name": "Engine", "mass": exact(200), "at": obj{"back": 0.1, "up": 0.9}}})), "t", "o")
	loads := lashing.Loads(r)
	h, err := lashing.Hold(&loads[0], lashing.Vector{-1, 0, 0}, 0.9)
	if err != nil || h.Gives != "tips" {
		t.Errorf("%v %v", h, err)
	}
	close("tips at", h.G, 0.304348)
}

// Weighings said in other ways: 490 kg are 490 kg however the load is turned, and whether
// its own mass is stated with or without the 30 kg in it. Ends of 250 and 240 kg 0.2 and
// 1.8 m behind its front: the centre lies at (50 + 432)/490 = 0.98367 m.
func TestEndsByHand(t *testing.T) {
	size := []string{"/loads/crate/size", js(obj{"length": exact(2), "width": exact(1), "height": exact(1)}), "/loads/crate/centre", js(obj{"right": exact(0)}),
		"/loads/crate/contents", js(obj{"a": obj{"order": 1, "name": "Tackle", "mass": exact(30), "at": obj{"back": 0.4, "up": 0.2}}})}
	ends := obj{"front": exact(250), "rear": exact(240), "frontAt": 0.2, "rearAt": 1.8}
	one := obj{"front": exact(250), "rear": exact(0), "frontAt": 0.2, "rearAt": 1.8, "one": true}
	for name, c := range map[string]struct {
		ends   obj
		mass   float64
		counts string
	}{"both ends": {ends, 460, "alone"}, "one end, mass alone": {one, 460, "alone"}, "one end, whole mass": {one, 490, "whole"}} {
		for _, turn := range []int{0, 90, 180, 270} {
			r := rig.Resolve(sample.Plan(t, append(size, "/loads/crate/mass", js(exact(c.mass)), "/loads/crate/massCounts", js(c.counts), "/loads/crate/ends", js(c.ends),
				sample.Crate+"/turn", fmt.Sprint(turn), sample.Crate+"/at/back", `0.2`)...), "t", "o")
			want := map[int][2]float64{0: {1.2 + 0.983673, 0}, 90: {1.7, 1 - 0.983673}, 180: {3.2 - 0.983673, 0}, 270: {1.7, -1 + 0.983673}}[turn]
			b := r.Moves(0)
			if math.Abs(b.Mass-490) > 1e-9 || math.Abs(r.Bears.Mass.Nominal-740) > 1e-9 {
				t.Errorf("%s turned %d: %v kg, %v in all", name, turn, b.Mass, r.Bears.Mass.Nominal)
			}
			if math.Abs(b.X-want[0]) > 1e-5 || math.Abs(b.Y-want[1]) > 1e-5 {
				t.Errorf("%s turned %d: centre at %v, %v, want %v", name, turn, b.X, b.Y, want)
			}
			if ball := 20 + 490*(2.5-want[0])/2.5; math.Abs(r.Bears.Ball.Nominal-ball) > 1e-3 {
				t.Errorf("%s turned %d: ball %v, want %v", name, turn, r.Bears.Ball.Nominal, ball)
			}
			side := 490 * want[1] * 2 / 1.6
			if got := r.Bears.Right.Nominal - r.Bears.Left.Nominal; math.Abs(got-side) > 1e-3 {
				t.Errorf("%s turned %d: right less left %v, want %v", name, turn, got, side)
			}
		}
	}
}

// The range of the ball load is that of every corner of what is in doubt, also where the
// mass counts its contents: the body's place is one doubt.
func TestRangeOfAWhole(t *testing.T) {
	p := sample.Plan(t, "/loads/crate/mass", `{"value":400,"plusMinus":20,"how":"weighed"}`, "/loads/crate/massCounts", `"whole"`,
		"/loads/crate/centre", `{"back":{"value":0.5,"plusMinus":0.04,"how":"weighed"},"right":{"value":0,"plusMinus":0,"how":"weighed"}}`,
		"/loads/crate/contents", `{"a":{"order":1,"name":"Motor","mass":{"value":120,"plusMinus":10,"how":"weighed"},"at":{"back":0.2}}}`)
	r := rig.Resolve(p, "t", "o")
	low, high := math.Inf(1), math.Inf(-1)
	for corner := range 8 {
		pick := func(bit int, v, d float64) float64 {
			if corner>>bit&1 == 1 {
				return v + d
			}
			return v - d
		}
		m, c, x := pick(0, 400, 20), pick(1, 120, 10), pick(2, 0.5, 0.04)
		for _, place := range []float64{-float64(plan.PlaceDoubt), float64(plan.PlaceDoubt)} {
			moment := (m-c)*(1.75+place+x) + c*(1.75+place+0.2)
			ball := 20 + m - moment/2.5
			low, high = math.Min(low, ball), math.Max(high, ball)
		}
	}
	if b := r.Bears.Ball; math.Abs(b.Low-low) > 1e-9 || math.Abs(b.High-high) > 1e-9 {
		t.Errorf("ball %v to %v, by every corner %v to %v", b.Low, b.High, low, high)
	}
}
