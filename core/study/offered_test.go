package study_test

import (
	"context"
	"encoding/json"
	"fmt"
	"math/rand/v2"
	"os"
	"testing"

	"zygonos/core/ask/balance"
	"zygonos/core/ask/lashing"
	"zygonos/core/ask/rack"
	"zygonos/core/internal/sample"
	"zygonos/core/lang/finding"
	"zygonos/core/plan"
	"zygonos/core/review"
	"zygonos/core/rig"
	"zygonos/core/study"
)

// randomRig is a trailer of random size with boxes, hulls or a machine on it, rings, straps, a
// rack or none: what an owner may have.
func randomRig(t testing.TB, r *rand.Rand) *plan.Plan {
	at := func(lo, hi float64) float64 { return lo + (hi-lo)*r.Float64() }
	js := func(v any) string {
		b, err := json.Marshal(v)
		if err != nil {
			t.Fatal(err)
		}
		return string(b)
	}
	type obj = map[string]any
	taped := func(v float64) obj { return obj{"value": v, "how": "weighed"} }
	long, wide := at(2, 3.6), at(1.1, 1.9)
	sets := []string{"/trailers/t/deckLength", js(taped(long)), "/trailers/t/deckWidth", js(taped(wide)), "/trailers/t/deckHeight", js(taped(at(0.4, 0.7))),
		"/trailers/t/couplingToAxle/value", fmt.Sprint(1 + 0.62*long), "/trailers/t/axleMoves", js(obj{"min": 1.5, "max": 4, "pitch": 0.05}), "/trailers/t/floor", `"ply"`,
		"/trailers/t/couplingHeight", `0.45`, "/trailers/t/label/value", fmt.Sprint(at(600, 1500)), "/trailers/t/axleRating", fmt.Sprint(at(500, 1500)), "/towVehicles/car/ballHeight", `0.46`,
		"/towVehicles/car/towUnbraked", `1200`, "/outings/o/speed", `22`, "/towVehicles/car/gateReach", fmt.Sprint(at(0, 1)), "/towVehicles/car/gateHeight", `0.8`}
	points, straps := obj{}, obj{"s": obj{"order": 1, "name": "Ratchet", "kind": "ratchet", "limit": at(300, 1500), "length": at(4, 8), "count": 8}, "c": obj{"order": 2, "name": "Cam", "kind": "cam", "width": 0.025, "length": 4, "count": 4}}
	for i := range 3 + r.IntN(3) {
		for _, side := range []float64{-1, 1} {
			points[fmt.Sprintf("p%d-%d", i, int(side)+1)] = obj{"order": i, "kind": "ring-welded", "rating": at(200, 900), "at": obj{"back": long * float64(i) / 5, "right": side * (wide/2 - at(0.02, 0.3))}}
		}
	}
	sets = append(sets, "/trailers/t/tiePoints", js(points), "/straps", js(straps))
	loads, places := obj{}, obj{}
	kind := r.IntN(3)
	for i := range 1 + r.IntN(4) {
		id := fmt.Sprintf("l%d", i)
		load := obj{"order": i, "name": id, "mass": obj{"value": at(15, 200), "how": "weighed"}, "centre": obj{},
			"size": obj{"length": taped(at(0.4, 1.2)), "width": taped(at(0.3, 1.0)), "height": taped(at(0.2, 1.2))}}
		place := obj{"on": "deck", "at": obj{"back": at(0, long-0.4), "right": at(-0.3, 0.3)}}
		if kind == 1 { // hulls
			load["kind"], load["mass"] = []string{"canoe", "kayak", "skiff"}[r.IntN(3)], obj{"value": at(18, 70), "how": "weighed"}
			load["size"] = obj{"length": taped(at(2, 5)), "width": taped(at(0.5, 1.1)), "height": taped(at(0.3, 0.5))}
			place = obj{"on": "deck", "at": obj{"back": at(-1, 0.3), "right": at(-0.3, 0.3)}}
		}
		loads[id], places[id] = load, place
		if kind == 2 && i == 0 { // a machine
			load["kind"] = "quad"
			load["size"] = obj{"length": taped(1.9), "width": taped(1.0), "height": taped(1.1)}
			load["rolling"] = obj{"frontAxle": taped(0.35), "wheelbase": taped(1.2), "track": taped(0.85), "clearance": taped(at(0.1, 0.3)), "wheel": 0.56, "tyre": 0.2}
			place["at"] = obj{"back": at(0, max(0.01, long-1.95))}
			break
		}
	}
	layout := obj{"placements": places}
	if kind == 2 {
		sets = append(sets, "/parts/ramps", js(obj{"order": 1, "name": "Ramps", "mass": taped(30), "size": obj{"length": taped(0.2)}, "centre": obj{},
			"ramp": obj{"length": at(1.2, 2.6), "width": 0.3, "rating": 400, "counts": "vehicle", "per": "pair", "held": "lip", "lip": 0.08}}))
		layout["parts"] = obj{"ramps": obj{"at": obj{"back": long}}}
		layout["loading"] = obj{"machine": "l0", "ramp": "ramps", "unhitched": r.IntN(2) == 0, "fall": at(0, 0.1), "kerb": at(0, 0.1)}
	}
	return sample.Plan(t, append(sets, "/loads", js(loads), "/outings/o/layouts/t", js(layout))...)
}

// What is offered is what it says: applied and judged again whole, it holds what it promised,
// can be built, hooked and placed, and nothing of the outing is lost.
func TestOffered(t *testing.T) {
	long(t)
	n := 24
	if os.Getenv("DEEP") != "" {
		n = 600
	}
	r := rand.New(rand.NewPCG(3, 14))
	counts := map[string]int{}
	for k := range n {
		p := randomRig(t, r)
		what := fmt.Sprint("rig ", k)
		offeredTies(t, what, p, counts)
		offeredRacks(t, what, p, counts)
		offeredFixes(t, what, p, counts)
		offeredPlaces(t, what, p, counts)
		offeredLays(t, what, p, counts)
	}
	for _, what := range []string{"tied loads", "racks", "fixes", "arrangements", "axles", "moved candidates"} {
		if counts[what] < n/20 {
			t.Errorf("only %d %s were offered: the test tests too little", counts[what], what)
		}
	}
	t.Log(counts)
}

func clone(t testing.TB, p *plan.Plan) *plan.Plan {
	t.Helper()
	data, err := plan.Write(p)
	if err != nil {
		t.Fatal(err)
	}
	out, err := plan.Read(data)
	if err != nil {
		t.Fatal(err)
	}
	return out
}

func applied(t testing.TB, what string, p *plan.Plan, v finding.Variant) *plan.Plan {
	t.Helper()
	next, err := plan.Apply(clone(t, p), v.Patch)
	if err != nil {
		t.Fatalf("%s: %v", what, err)
	}
	if problems := plan.Clean(next); len(problems) > 0 {
		t.Errorf("%s: %+v", what, problems)
	}
	return next
}

func offeredTies(t *testing.T, what string, p *plan.Plan, counts map[string]int) {
	ties := study.PlanTies(context.Background(), clone(t, p), review.Request{})
	if len(ties.Patch) == 0 {
		return
	}
	next := applied(t, what+", ties", p, ties.Variant)
	on := rig.Resolve(next, "t", "o")
	all := ties.Says.Text(p.Locale())
	for _, l := range lashing.Loads(on) {
		for _, row := range ties.Loads {
			if row.Name != l.Item.Name || !row.Holds {
				continue
			}
			counts["tied loads"]++
			if len(l.Broken) > 0 {
				t.Errorf("%s: %s is planned and cannot be: %s", what, l.Item.Name, l.Broken[0].Says.Text(p.Locale()))
			}
			on := l
			on.NoLines = true
			if !lashing.Satisfied(rig.Resolve(next, "t", "o"), &on) && all == fmt.Sprintf("%d straps hold all of it.", len(on.Ties)) {
				t.Errorf("%s: %s is said to be held and is not", what, l.Item.Name)
			}
			for i := range l.Ties {
				if tie := &l.Ties[i]; tie.Has != nil && tie.Long > *tie.Has+1e-9 {
					t.Errorf("%s: a strap of %v m on a way of %v", what, *tie.Has, tie.Long)
				}
			}
		}
	}
}

func offeredRacks(t *testing.T, what string, p *plan.Plan, counts map[string]int) {
	was := p.Outings["o"].Layouts["t"]
	for _, o := range study.PlanRacks(context.Background(), clone(t, p), review.Request{}).Options {
		counts["racks"]++
		next := applied(t, what+", rack", p, o.Variant)
		is := next.Outings["o"].Layouts["t"]
		if (was.Loading == nil) != (is.Loading == nil) {
			t.Errorf("%s: the loading card is lost", what)
		}
		for id, x := range was.Lashings {
			if _, kept := is.Lashings[id]; !kept && was.Placements[x.Load] == is.Placements[x.Load] {
				t.Errorf("%s: lashing %s is lost", what, id)
			}
		}
		if len(is.Placements)+len(o.Home) != len(was.Placements) {
			t.Errorf("%s: %d placed and %d at home of %d", what, len(is.Placements), len(o.Home), len(was.Placements))
		}
		rep := study.Settled(context.Background(), next, review.Request{})
		worst := finding.Holds
		for _, f := range rep.Findings {
			if f.Outcome == finding.Fails && (f.Code == rack.CodeSupport || f.Code == rack.CodeRoom || f.Code == rack.CodeTier) {
				t.Errorf("%s, %s: %s", what, o.Kind, f.Says.Text(p.Locale()))
			}
			if (f.Stage == rack.Stage || f.Stage == "balance") && !f.Compares && f.Outcome != finding.Unknown {
				worst = finding.Worse(worst, f.Outcome)
			}
		}
		if worst != o.Outcome {
			t.Errorf("%s, %s: told %s, it is %s", what, o.Kind, o.Outcome, worst)
		}
	}
}

func offeredFixes(t *testing.T, what string, p *plan.Plan, counts map[string]int) {
	before := study.Settled(context.Background(), clone(t, p), review.Request{})
	failed := map[string]bool{}
	for _, f := range before.Findings {
		failed[f.Key()] = f.Outcome == finding.Fails
	}
	for _, f := range before.Findings {
		for _, x := range f.Fixes {
			counts["fixes"]++
			after := study.Settled(context.Background(), applied(t, what+", fix", p, x.Variant), review.Request{})
			for _, g := range after.Findings {
				if g.Key() == f.Key() && g.Outcome != x.Outcome {
					t.Errorf("%s: %q leads %s to %s, told %s", what, x.Name.Text(p.Locale()), f.Code, g.Outcome, x.Outcome)
				}
				if g.Outcome == finding.Fails && !g.Compares && !failed[g.Key()] {
					t.Errorf("%s: %q mends %s and breaks %s: %s", what, x.Name.Text(p.Locale()), f.Code, g.Code, g.Says.Text(p.Locale()))
				}
			}
		}
	}
}

func offeredPlaces(t *testing.T, what string, p *plan.Plan, counts map[string]int) {
	if a := study.PlaceAxle(context.Background(), clone(t, p), "t"); a.Fix != nil {
		counts["axles"]++
		applied(t, what+", axle", p, *a.Fix)
	}
	found := study.Arrange(context.Background(), clone(t, p), review.Request{}, nil)
	for _, a := range found.Options {
		counts["arrangements"]++
		next := applied(t, what+", arranged", p, a.Variant)
		on := rig.Resolve(next, "t", "o")
		for i := range on.Items {
			for k := range i {
				x, y := &on.Items[i], &on.Items[k]
				if x.Overlaps(y) && x.Front < y.Rear-1e-6 && y.Front < x.Rear-1e-6 {
					t.Errorf("%s: %s stands in %s", what, x.Name, y.Name)
				}
			}
		}
	}
}

// A candidate whose load is moved into the window comes out, moved so in the plan, as the comparison has it, and
// its ball is in the window.
func offeredLays(t *testing.T, what string, p *plan.Plan, counts map[string]int) {
	c := study.Compare(context.Background(), clone(t, p), review.Request{}, false).Candidates[0]
	if len(c.Lays) == 0 {
		return
	}
	counts["moved candidates"]++
	next := applied(t, what+", laid", p, finding.Variant{Patch: c.Lays})
	if r := rig.Resolve(next, "t", "o"); balance.Misses(r) {
		t.Errorf("%s: moved into the window, and the ball bears %v kg", what, r.Bears.Ball.Nominal)
	}
	if rep := study.Settled(context.Background(), next, review.Request{}); rep.Headline.Outcome != c.Outings[0].Outcome {
		t.Errorf("%s: told %s, it is %s: %s", what, c.Outings[0].Outcome, rep.Headline.Outcome, rep.Headline.Says.Text(p.Locale()))
	}
}
