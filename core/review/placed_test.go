package review_test

import (
	"fmt"
	"math"
	"math/rand/v2"
	"strings"
	"testing"

	"zygonos/core/ask/balance"
	"zygonos/core/internal/sample"
	"zygonos/core/lang/finding"
	"zygonos/core/lang/quantity"
	"zygonos/core/plan"
	"zygonos/core/review"
	"zygonos/core/rig"
)

const anywhere = `{"on":"any","at":{"back":0}}`

// The sample's crate, which nobody placed: 400 kg, target 10 % of 650 kg, at most the car's
// 75: the window is 32.5 to 75, its middle 53.75. 20 + 400·(2.5 − x)/2.5 = 53.75 at x 2.28906:
// 789 mm behind the headboard, on 10 mm 790.
func TestPlacedByTheApp(t *testing.T) {
	p := sample.Plan(t, sample.Crate, anywhere)
	rep := review.Review(p, review.Request{})
	pl := rep.Placed[sample.Crate]
	if math.Abs(float64(pl.At.Back)-0.79) > 1e-9 || pl.On != plan.OnDeck {
		t.Errorf("%+v", pl)
	}
	if says := rep.Headline.Says.Text(p.Locale()); !strings.Contains(says, "Set the front of Crate 790 mm behind the front board: noseweight 54 kg, 8.2 %") || rep.Headline.Outcome == finding.Fails {
		t.Errorf("%s %s", rep.Headline.Outcome, says)
	}
	f := sample.Find(t, rep.Findings, review.CodePlaced)
	if f.Outcome != finding.Unknown || f.Gate != finding.GateGo || len(f.Needs) != 1 || len(f.Fixes) != 1 {
		t.Errorf("%+v", f)
	}
	// Nothing of it is stored, and it follows what changes: heavier it stands elsewhere.
	written, err := plan.Write(sample.Plan(t, sample.Crate, anywhere))
	if err != nil || !strings.Contains(string(written), `"any"`) {
		t.Errorf("%v %s", err, written)
	}
	heavy := review.Review(sample.Plan(t, sample.Crate, anywhere, "/loads/crate/mass/value", `200`), review.Request{})
	if heavy.Placed[sample.Crate].At.Back == pl.At.Back {
		t.Error("it does not follow its weight")
	}
	// Confirmed it is the owner's.
	next, err := plan.Apply(sample.Plan(t, sample.Crate, anywhere), f.Fixes[0].Patch)
	if err != nil {
		t.Fatal(err)
	}
	after := review.Review(next, review.Request{})
	if len(after.Placed) != 0 || !next.Outings["o"].Layouts["t"].Placements["crate"].Pinned || after.Figures.Ball.Value != rep.Figures.Ball.Value {
		t.Errorf("%+v", after.Placed)
	}
	// Where no place does, it fails and says so.
	fails := review.Review(sample.Plan(t, sample.Crate, anywhere, "/loads/crate/mass/value", `20`, "/trailers/t/empty/ball/mass", `2`, "/trailers/t/couplingToDeck/value", `2.2`), review.Request{})
	if says := fails.Headline.Says.Text(p.Locale()); fails.Headline.Outcome != finding.Fails || !strings.Contains(says, "Even as far forward as it goes: ") || !strings.Contains(says, "The axle stands too far forward") {
		t.Errorf("%s %s", fails.Headline.Outcome, says)
	}
}

// A crate of 20 kg, its middle 0.5 m behind the axle at most, leaves 50 − 20·0.5/2.5 = 46 kg of 300: 15.3 %, of the 75 that
// the car bears. It cannot be moved on, and is not stated to be.
func TestPlacedHeavyBall(t *testing.T) {
	sets := []string{sample.Crate, anywhere, "/loads/crate/mass/value", `20`, "/trailers/t/empty/ball/mass", `50`}
	p := sample.Plan(t, sets...)
	rep := review.Review(p, review.Request{})
	f := sample.Find(t, rep.Findings, balance.CodeWindow)
	if says := f.Says.Text(p.Locale()); f.Outcome != finding.Tight || !strings.Contains(says, "15.3 %") || !strings.HasSuffix(says, "It lies as far back as it goes.") {
		t.Errorf("%s %q", f.Outcome, says)
	}
	owned := review.Review(sample.Plan(t, append(sets[2:], sample.Crate+"/at/back", `1.5`)...), review.Request{})
	if says := sample.Find(t, owned.Findings, balance.CodeWindow).Says.Text(p.Locale()); !strings.HasSuffix(says, "Move weight back.") {
		t.Errorf("placed by its owner: %q", says)
	}
}

// Where the ball load is not known no place is stated as the one to set a load to.
func TestPlacedWithoutAnswer(t *testing.T) {
	p := sample.Plan(t, sample.Crate, anywhere, "/trailers/t/couplingToDeck", "-")
	h := review.Review(p, review.Request{}).Headline
	if says := h.Says.Text(p.Locale()); h.Outcome == finding.Holds || strings.Contains(says, "Set ") {
		t.Errorf("%s %q", h.Outcome, says)
	}
}

// Whatever nobody placed stands on the deck or on another load, beside and not in each other;
// of one alone the ball load is in its window wherever some place on the deck would do.
func TestPlacedApart(t *testing.T) {
	rnd := rand.New(rand.NewPCG(15, 2))
	at := func(lo, hi float64) float64 { return lo + (hi-lo)*rnd.Float64() }
	alone := 0
	for n := range 200 {
		sets := []string{}
		places, loads := obj{}, obj{}
		kind := []string{"", "canoe", "quad"}[n%3]
		for i := range 1 + rnd.IntN(5) {
			id := fmt.Sprint("l", i)
			loads[id] = obj{"order": i, "name": id, "kind": kind, "mass": exact(at(10, 120)), "centre": obj{},
				"size": obj{"length": exact(at(0.3, 1.4)), "width": exact(at(0.3, 1.3)), "height": exact(at(0.2, 1))}}
			if kind == "canoe" {
				loads[id].(obj)["size"] = obj{"length": exact(at(3, 5)), "width": exact(at(0.6, 1)), "height": exact(0.4)}
			}
			if kind == "quad" && i > 0 {
				loads[id].(obj)["kind"] = ""
			}
			places[id] = obj{"on": "any", "at": obj{"back": 0}}
		}
		p := sample.Plan(t, append(sets, "/loads", js(loads), "/outings/o/layouts/t/placements", js(places))...)
		review.Ready(p)
		r := rig.Resolve(p, "t", "o")
		for i := range r.Items {
			for k := range i {
				a, b := &r.Items[i], &r.Items[k]
				if a.Overlaps(b) && a.Front < b.Rear-1e-6 && b.Front < a.Rear-1e-6 {
					t.Errorf("%d (%s): %s stands in %s", n, kind, a.Name, b.Name)
				}
			}
		}
		window := func(q *plan.Plan) finding.Outcome {
			return sample.Find(t, review.Again(q, review.Request{}).Findings, "balance.ball-window").Outcome
		}
		if len(loads) > 1 || window(p) != finding.Fails {
			continue
		}
		alone++
		pl := p.Outings["o"].Layouts["t"].Placements["l0"]
		length := r.Items[0].Length()
		for back := 0.0; back <= 2.5-length; back += 0.01 {
			pl.At.Back = quantity.Length(back)
			p.Outings["o"].Layouts["t"].Placements["l0"] = pl
			if window(p) != finding.Fails {
				t.Errorf("%d (%s): it would do %v m behind the headboard", n, kind, back)
				break
			}
		}
	}
	if alone == 0 {
		t.Log("no single load fails: brute force had nothing to do")
	}
}

// What finds no room beside the rest is drawn over it and stated, and is never confirmed with the
// others: a canoe of 4.9 m and a quad of 2.05 on a deck of 2.5 m need 6.97, 4.2 may be reached.
// Two quads take 4.12 m and may reach 0.2 beyond either end: of three only one finds room.
func TestNoRoomBeside(t *testing.T) {
	load := func(order int, kind string) string {
		return fmt.Sprintf(`{"order":%d,"name":"%s %d","kind":"%s","mass":{"value":%d,"how":"weighed"},"size":{},"centre":{}}`, order, kind, order, kind, 200-10*order)
	}
	place := "/outings/o/layouts/t/placements/"
	for _, c := range []struct {
		kinds   []string
		outcome finding.Outcome
		says    string
		fixed   int
	}{
		{[]string{"quad", "canoe"}, finding.Unknown, "There is no room on the deck for canoe 2 beside the rest: plan a rack for it", 1},
		{[]string{"quad", "quad", "quad"}, finding.Unknown, "There is no room on the deck for quad 3 beside the rest: place it yourself", 1},
		{[]string{"canoe", "canoe"}, finding.Unknown, "", 2},
		{[]string{"motorcycle", "motorcycle"}, finding.Unknown, "", 2},
		{[]string{"mower-walk", "mower-walk"}, finding.Unknown, "", 2}, // 0.55 m each, 0.1 between them, on 1.4
	} {
		sets := []string{sample.Crate, "-", "/loads/crate", "-"}
		for i, k := range c.kinds {
			id := fmt.Sprint("l", i+1)
			sets = append(sets, "/loads/"+id, load(i+1, k), place+id, anywhere)
		}
		p := sample.Plan(t, sets...)
		rep := review.Review(p, review.Request{})
		f := sample.Find(t, rep.Findings, review.CodePlaced)
		if f.Outcome != c.outcome || len(f.Needs) != len(c.kinds) || len(f.Fixes) != 1 || len(f.Fixes[0].Patch) != c.fixed {
			t.Errorf("%v: %s, %d needs, %+v", c.kinds, f.Outcome, len(f.Needs), f.Fixes)
		}
		if says := rep.Headline.Says.Text(p.Locale()); !strings.Contains(says, c.says) || rep.Headline.Outcome == finding.Holds {
			t.Errorf("%v: %s %s", c.kinds, rep.Headline.Outcome, says)
		}
		// Its weight is counted all the same.
		total := 250.0
		for i := range c.kinds {
			total += float64(200 - 10*(i+1))
		}
		if math.Abs(rep.Figures.Mass.Value-total) > 1e-6 {
			t.Errorf("%v: %v kg", c.kinds, rep.Figures.Mass.Value)
		}
	}
}

// What the app puts on top of another is stated with it.
func TestRidesAreTold(t *testing.T) {
	sofa := `{"order":%d,"name":"Sofa %d","kind":"sofa","mass":{"value":70,"plusMinus":0,"how":"weighed"},"size":{},"centre":{}}`
	p := sample.Plan(t, sample.Crate, "-", "/loads/crate", "-", "/loads/a", fmt.Sprintf(sofa, 1, 1), "/loads/b", fmt.Sprintf(sofa, 2, 2),
		"/outings/o/layouts/t/placements/a", anywhere, "/outings/o/layouts/t/placements/b", anywhere)
	if says := review.Review(p, review.Request{}).Headline.Says.Text(p.Locale()); !strings.Contains(says, "Set the front of Sofa 1 ") || !strings.Contains(says, ", Sofa 2 on Sofa 1") {
		t.Error(says)
	}
}

// Two motorcycles 0.85 m wide at their bars and 0.45 m behind them stand head to tail, their middles 0.65 m apart:
// 0.325 m to either side of the deck's. On a deck of 0.8 m their wheels would stand nearer than 0.1 m to its sides.
func TestHeadToTail(t *testing.T) {
	bike := func(order int) string {
		return fmt.Sprintf(`{"order":%d,"name":"Bike %d","kind":"motorcycle","mass":{"value":118,"plusMinus":0,"how":"weighed"},"size":{},"centre":{}}`, order, order)
	}
	sets := []string{sample.Crate, "-", "/loads/crate", "-", "/loads/a", bike(1), "/loads/b", bike(2),
		"/outings/o/layouts/t/placements/a", anywhere, "/outings/o/layouts/t/placements/b", anywhere}
	p := sample.Plan(t, sets...)
	rep := review.Review(p, review.Request{})
	placed := p.Outings["o"].Layouts["t"].Placements
	a, b := placed["a"], placed["b"]
	if a.On != plan.OnDeck || b.On != plan.OnDeck || (a.Turn+180)%360 != b.Turn || a.At.Back != b.At.Back ||
		math.Abs(math.Abs(float64(a.At.Right))-0.325) > 0.0051 || math.Abs(float64(a.At.Right+b.At.Right)) > 0.0101 {
		t.Errorf("%+v, %+v", a, b)
	}
	r := rig.Resolve(p, "t", "o")
	if !r.Interlock(&r.Items[0], &r.Items[1]) || strings.Contains(rep.Headline.Says.Text(p.Locale()), "There is no room") ||
		!strings.Contains(rep.Headline.Says.Text(p.Locale()), "to the right, turned round") {
		t.Error(rep.Headline.Says.Text(p.Locale()))
	}
	ahead := r.Items[1] // bars beside bars: 0.45·2.15 m farther on
	ahead.Front, ahead.Rear = ahead.Front+0.97, ahead.Rear+0.97
	if r.Interlock(&r.Items[0], &ahead) {
		t.Error("bars stand in bars")
	}
	narrow := sample.Plan(t, append(sets, "/trailers/t/deckWidth/value", "0.8")...)
	if says := review.Review(narrow, review.Request{}).Headline.Says.Text(p.Locale()); !strings.Contains(says, "There is no room on the deck for Bike ") {
		t.Error(says)
	}
}

// What its owner placed is not stood into: a crate pinned on the deck, and then one to four
// boxes that are left to the app; where none is found they are stated and drawn over it.
func TestPlacedBesideWhatStands(t *testing.T) {
	rnd := rand.New(rand.NewPCG(15, 9))
	at := func(lo, hi float64) float64 { return lo + (hi-lo)*rnd.Float64() }
	beside, over := 0, 0
	for n := range 200 {
		sets := []string{sample.Crate + "/at/back", fmt.Sprint(math.Round(at(0, 1.5)*100) / 100), sample.Crate + "/pinned", "true",
			"/loads/crate/mass/value", "120", "/loads/crate/size/length/value", fmt.Sprint(math.Round(at(0.4, 1)*100) / 100)}
		count := 1 + rnd.IntN(4)
		for i := range count {
			id := fmt.Sprint("l", i)
			kind := []string{"", "canoe", "quad"}[rnd.IntN(3)]
			if n%2 == 0 { // machines of their own size
				sets = append(sets, "/loads/"+id, fmt.Sprintf(`{"order":%d,"name":"%s","kind":"quad","mass":{"value":90,"how":"weighed"},"size":{},"centre":{}}`, i+2, id),
					"/outings/o/layouts/t/placements/"+id, anywhere)
				continue
			}
			sets = append(sets, "/loads/"+id, js(obj{"order": i + 2, "name": id, "kind": kind, "mass": exact(at(10, 120)), "centre": obj{},
				"size": obj{"length": exact(at(0.3, 1.2)), "width": exact(at(0.3, 1.3)), "height": exact(at(0.2, 1))}}),
				"/outings/o/layouts/t/placements/"+id, anywhere)
		}
		p := sample.Plan(t, sets...)
		rep := review.Review(p, review.Request{})
		f := sample.Find(t, rep.Findings, review.CodePlaced)
		confirmed := 0
		if len(f.Fixes) > 0 {
			confirmed = len(f.Fixes[0].Patch)
		}
		r := rig.Resolve(p, "t", "o")
		for i := range r.Items {
			for k := range i {
				a, b := &r.Items[i], &r.Items[k]
				if a.Overlaps(b) && a.Front < b.Rear-1e-6 && b.Front < a.Rear-1e-6 {
					t.Errorf("%d: %s stands in %s", n, a.Name, b.Name)
				}
			}
		}
		beside += confirmed
		over += count - confirmed
		// Confirmed, they are where they were, whatever is still open.
		if confirmed > 0 {
			next, err := plan.Apply(p, f.Fixes[0].Patch)
			if err != nil {
				t.Fatal(err)
			}
			if after := review.Review(next, review.Request{}); len(after.Placed) != 0 {
				t.Errorf("%d: %d still open in a plan that was read out placed", n, len(after.Placed))
			}
		}
	}
	if beside < 100 || over < 20 {
		t.Errorf("%d beside it, %d over it: the cases do not try both", beside, over)
	}
}

// Riders count: a box on a box is one body on the ball, whoever put it there.
func TestRidersWeigh(t *testing.T) {
	load := func(order int, mass float64, long float64) string {
		return js(obj{"order": order, "name": fmt.Sprint("Box ", order), "kind": "box", "mass": exact(mass), "centre": obj{},
			"size": obj{"length": exact(long), "width": exact(1.3), "height": exact(0.5)}})
	}
	place := "/outings/o/layouts/t/placements/"
	p := sample.Plan(t, sample.Crate, "-", "/loads/crate", "-", "/loads/a", load(1, 150, 1.8), place+"a", anywhere,
		"/loads/b", load(2, 100, 1.75), place+"b", anywhere)
	rep := review.Review(p, review.Request{})
	if p.Outings["o"].Layouts["t"].Placements["b"].On != plan.OnLoad {
		t.Fatalf("the second box does not ride: %+v", rep.Placed)
	}
	// 500 kg: 25 to 75, middle 50. 20 + 150·(L − x)/L + 100·(L − x')/L, b's front on a's.
	if got := rep.Figures.Ball.Value; math.Abs(got-50) > 1.5 {
		t.Errorf("the ball bears %v", got)
	}
}

// Crates that find no room are drawn over the others evenly, no tower on what else stands there.
func TestLeftOutInLayers(t *testing.T) {
	loads, places := obj{}, obj{}
	for i := range 20 {
		id := fmt.Sprint("l", i)
		loads[id] = obj{"order": i, "name": id, "mass": exact(18), "centre": obj{},
			"size": obj{"length": exact(0.8), "width": exact(0.6), "height": exact(0.3)}}
		places[id] = obj{"on": "any", "at": obj{"back": 0}}
	}
	p := sample.Plan(t, "/loads", js(loads), "/outings/o/layouts/t/placements", js(places))
	review.Ready(p)
	r := rig.Resolve(p, "t", "o")
	top := 0.0
	for i := range r.Items {
		top = max(top, r.Items[i].Top-r.DeckHeight())
	}
	// three rows of two stand on the deck of 2.5 m by 1.4 m: 20 crates on six feet are four layers
	if top > 4*0.3+1e-6 {
		t.Errorf("%v m high", top)
	}
}
