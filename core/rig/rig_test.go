package rig_test

import (
	"encoding/json"
	"math"
	"testing"

	"zygonos/core/lang/quantity"
	"zygonos/core/plan"
	"zygonos/core/rig"
)

func near(t *testing.T, what string, got, want float64) {
	t.Helper()
	if math.Abs(got-want) > 1e-6*math.Max(1, math.Abs(want)) {
		t.Errorf("%s: got %.9g, want %.9g", what, got, want)
	}
}

// base is a trailer with its axle at 2.8 m, the deck from 1.2 m to 3.6 m.
func base(t *testing.T, empty, loads, placements, more string) *plan.Plan {
	t.Helper()
	doc := `{"format":"zygonos-plan","version":1,"name":"x","region":"uk","units":"metric","towVehicles":{},
	 "loads":{` + loads + `},
	 "parts":{"rack":{"order":1,"name":"Rack","mass":{"value":40,"plusMinus":0,"how":"weighed"},"size":{"length":{"value":1,"how":"weighed"}},"centre":{},
	   "slots":{"top":{"order":1,"name":"top","at":{"back":0.2,"right":0.3,"up":0.9}}}}},
	 "trailers":{"t":{"order":1,"name":"T","couplingToAxle":{"value":2.8,"plusMinus":0,"how":"weighed"},"couplingToDeck":{"value":1.2,"plusMinus":0,"how":"weighed"},
	   "deckLength":{"value":2.4,"how":"weighed"},"deckWidth":{"value":1.4,"how":"weighed"},"deckHeight":{"value":0.5,"how":"weighed"},"track":{"value":1.4,"how":"weighed"}` + more + `,"empty":` + empty + `}},
	 "outings":{"o":{"order":1,"name":"O","layouts":{"t":{` + placements + `}}}}}`
	p, err := plan.Read([]byte(doc))
	if err != nil {
		t.Fatal(err)
	}
	if problems := plan.Clean(p); len(problems) > 0 {
		t.Fatal(problems)
	}
	return p
}

// The same empty trailer stated in each way that the owner may have: 220 kg,
// 18 kg of it on the ball, so the centre lies at 2.8·202/220 = 2.570909… m.
func TestEmptyWays(t *testing.T) {
	for _, c := range []struct{ name, empty, more string }{
		{"ball and axle", `{"ball":{"mass":18,"plusMinus":0},"axle":{"mass":202,"plusMinus":0}}`, ""},
		{"wheel by wheel", `{"ball":{"mass":18,"plusMinus":0},"left":{"mass":101,"plusMinus":0},"right":{"mass":101,"plusMinus":0}}`, ""},
		{"mass and ball", `{"mass":{"value":220,"plusMinus":0,"how":"plate"},"ball":{"mass":18,"plusMinus":0}}`, ""},
		{"mass and centre", `{"mass":{"value":220,"plusMinus":0,"how":"plate"},"centre":{"value":2.570909090909091,"plusMinus":0,"how":"weighed"}}`, ""},
		// Under the jockey wheel, 0.4 m behind the ball, the scale reads 18·2.8/2.4 = 21 kg.
		{"scale under the jockey wheel", `{"mass":{"value":220,"plusMinus":0,"how":"plate"},"ball":{"mass":21,"plusMinus":0,"at":0.4}}`, ""},
		{"the same with the axle's reading", `{"ball":{"mass":21,"plusMinus":0,"at":0.4},"axle":{"mass":199,"plusMinus":0}}`, ""},
		// Weighed with the axle at 2.6 m. The body, 220 − 60 = 160 kg, has its moment
		// 2.8·202 − 60·2.8 = 397.6 kg·m wherever the axle stands; with the gear at 2.6 m the
		// axle bore (397.6 + 156)/2.6 = 212.923… kg and the ball 7.076923… kg.
		{"axle moved since", `{"ball":{"mass":7.076923076923077,"plusMinus":0},"axle":{"mass":212.92307692307693,"plusMinus":0},"axleAt":2.6}`, `,"runningGear":{"value":60,"plusMinus":0,"how":"weighed"}`},
		{"mass and ball, axle moved since", `{"mass":{"value":220,"plusMinus":0,"how":"plate"},"ball":{"mass":7.076923076923077,"plusMinus":0},"axleAt":2.6}`, `,"runningGear":{"value":60,"plusMinus":0,"how":"weighed"}`},
		// The rack lay with its middle at 1.2 + 0.3 + 0.5 = 2.0 m when it was weighed:
		// it pressed 40·0.8/2.8 = 11.428571… kg on the ball and the rest on the axle.
		{"weighed with the rack on", `{"ball":{"mass":29.428571428571427,"plusMinus":0},"axle":{"mass":230.57142857142858,"plusMinus":0},"parts":{"rack":{"at":{"back":0.3}}}}`, ""},
	} {
		r := rig.Resolve(base(t, c.empty, "", `"placements":{}`, c.more), "t", "o")
		if r == nil || r.Bears == nil {
			t.Errorf("%s: not known, needs %v", c.name, r.Needs)
			continue
		}
		near(t, c.name+", ball", r.Bears.Ball.Nominal, 18)
		near(t, c.name+", mass", r.Bears.Mass.Nominal, 220)
		near(t, c.name+", axle", r.Bears.OnAxle.Nominal, 202)
	}
	// Kind alone gives a range: 180 to 420 kg, of it 5 to 16 % on the ball.
	r := rig.Resolve(base(t, `{}`, "", `"placements":{}`, `,"kind":"utility"`), "t", "o")
	near(t, "kind alone, least", r.Bears.Ball.Low, 180*0.05)
	near(t, "kind alone, greatest", r.Bears.Ball.High, 420*0.16)
	if len(r.Rough) != 2 {
		t.Errorf("what was filled in is not told: %v", r.Rough)
	}
}

// A part that stayed where it lay at the weighing adds no doubt of its own.
func TestPartThatStayed(t *testing.T) {
	empty := `{"ball":{"mass":29.428571428571427,"plusMinus":0},"axle":{"mass":230.57142857142858,"plusMinus":0},"parts":{"rack":{"at":{"back":0.3}}}}`
	r := rig.Resolve(base(t, empty, "", `"parts":{"rack":{"at":{"back":0.3}}},"placements":{}`, ""), "t", "o")
	near(t, "ball", r.Bears.Ball.Nominal, 29.428571428571427)
	near(t, "doubt", float64(r.Bears.Ball.Width()), 0)
	// Moved back by 0.7 m: 40·0.7/2.8 = 10 kg less on the ball.
	r = rig.Resolve(base(t, empty, "", `"parts":{"rack":{"at":{"back":1.0}}},"placements":{}`, ""), "t", "o")
	near(t, "moved", r.Bears.Ball.Nominal, 19.428571428571427)
}

// Both readings move within their tolerance, not their result.
func TestReadingsVary(t *testing.T) {
	r := rig.Resolve(base(t, `{"ball":{"mass":18,"plusMinus":1},"axle":{"mass":202,"plusMinus":4}}`, "", `"placements":{}`, ""), "t", "o")
	near(t, "least ball", r.Bears.Ball.Low, 17)
	near(t, "greatest axle", r.Bears.OnAxle.High, 206)
	near(t, "least share", r.Bears.Share.Low, 17.0/(17+206))
	near(t, "greatest share", r.Bears.Share.High, 19.0/(19+198))
}

const known = `{"ball":{"mass":1e-9,"plusMinus":0},"axle":{"mass":200,"plusMinus":0}}`

func box(id, mass, more string) string {
	return `"` + id + `":{"order":1,"name":"` + id + `","mass":{"value":` + mass + `,"plusMinus":0,"how":"weighed"},
	 "size":{"length":{"value":1.0,"plusMinus":0,"how":"weighed"},"width":{"value":0.6,"plusMinus":0,"how":"weighed"},"height":{"value":0.4,"plusMinus":0,"how":"weighed"}}` + more + `}`
}

// A box of 1.0 × 0.6 m, 0.5 m behind the front board, its centre 0.3 m behind
// its own front and 0.1 m to its right, turned each way clockwise.
func TestTurns(t *testing.T) {
	centre := `,"centre":{"back":{"value":0.3,"plusMinus":0,"how":"weighed"},"right":{"value":0.1,"plusMinus":0,"how":"weighed"}}`
	for _, c := range []struct {
		turn       string
		x, y, rear float64
	}{
		{"0", 1.7 + 0.3, 0.1, 2.7},
		{"90", 1.7 + 0.3 + 0.1, 0.5 - 0.3, 2.3}, // its front looks right, its right rearward
		{"180", 1.7 + 0.7, -0.1, 2.7},
		{"270", 1.7 + 0.3 - 0.1, -0.5 + 0.3, 2.3},
	} {
		r := rig.Resolve(base(t, known, box("a", "100", centre), `"placements":{"a":{"on":"deck","at":{"back":0.5},"turn":`+c.turn+`}}`, ""), "t", "o")
		it := r.Items[0]
		near(t, c.turn+" x", it.X, c.x)
		near(t, c.turn+" y", it.Y, c.y)
		near(t, c.turn+" rear", it.Rear, c.rear)
		near(t, c.turn+" ball", r.Bears.Ball.Nominal, 100*(2.8-c.x)/2.8)
		near(t, c.turn+" wheels", r.Bears.Right.Nominal-r.Bears.Left.Nominal, 2*100*c.y/1.4)
	}
}

func TestSupports(t *testing.T) {
	loads := box("low", "80", `,"centre":{}`) + "," + box("top", "20", `,"centre":{}`) + "," + box("hung", "10", `,"centre":{}`)
	p := base(t, known, loads, `"parts":{"rack":{"at":{"back":0.3}}},"placements":{
	 "low":{"on":"deck","at":{"back":0.4}},"top":{"on":"load","id":"low","at":{"back":0.1,"right":-0.05}},
	 "hung":{"on":"part","id":"rack","slot":"top","at":{"back":-0.4}}}`, "")
	r := rig.Resolve(p, "t", "o")
	at := map[string]rig.Item{}
	for _, it := range r.Items {
		at[it.ID] = it
	}
	near(t, "on the deck", at["low"].Front, 1.6)
	near(t, "on a load", at["top"].Front, 1.7)
	near(t, "on a load, height", at["top"].Bottom, 0.9)
	near(t, "on a load, across", (at["top"].Left+at["top"].Right)/2, -0.05)
	near(t, "on a slot", at["hung"].Front, 1.2+0.3+0.2-0.4)
	near(t, "on a slot, height", at["hung"].Bottom, 0.5+0.9)
	near(t, "on a slot, across", (at["hung"].Left+at["hung"].Right)/2, 0.3)
	near(t, "all of it", r.Cargo().Nominal, 40+80+20+10)
	near(t, "mass", r.Bears.Mass.Nominal, 350)
}

// Contents on top of the load's mass, or within it: 14 kg of fuel 0.9 m behind
// the front of a 100 kg box whose middle is at 0.5 m.
func TestContents(t *testing.T) {
	fuel := `,"centre":{},"contents":{"fuel":{"order":1,"name":"fuel","mass":{"value":14,"plusMinus":0,"how":"weighed"},"at":{"back":0.9}}}`
	on := `"placements":{"a":{"on":"deck","at":{"back":0.5}}}`
	r := rig.Resolve(base(t, known, box("a", "100", fuel), on, ""), "t", "o")
	near(t, "added, mass", r.Bears.Mass.Nominal, 314)
	near(t, "added, moment", r.Bears.OnAxle.Nominal*2.8, 200*2.8+100*2.2+14*2.6)
	r = rig.Resolve(base(t, known, box("a", "100", fuel+`,"massCounts":"whole"`), on, ""), "t", "o")
	near(t, "within, mass", r.Bears.Mass.Nominal, 300)
	near(t, "within, moment", r.Bears.OnAxle.Nominal*2.8, 200*2.8+86*2.2+14*2.6)
}

// A load weighed at both ends: 60 kg on a support 0.2 m and 40 kg on one 0.8 m
// behind its front; its centre lies 0.44 m behind it.
func TestEndWeighing(t *testing.T) {
	ends := `,"centre":{},"ends":{"front":{"value":60,"plusMinus":0,"how":"weighed"},"rear":{"value":40,"plusMinus":0,"how":"weighed"},"frontAt":0.2,"rearAt":0.8}`
	r := rig.Resolve(base(t, known, box("a", "77", ends), `"placements":{"a":{"on":"deck","at":{"back":0.5}}}`, ""), "t", "o")
	near(t, "mass", r.Bears.Mass.Nominal, 300)
	near(t, "centre", r.Items[0].X, 1.7+0.44)
	near(t, "moment", r.Bears.OnAxle.Nominal*2.8, 200*2.8+100*2.14)
	r = rig.Resolve(base(t, known, box("a", "77", ends), `"placements":{"a":{"on":"deck","at":{"back":0.5},"turn":180}}`, ""), "t", "o")
	near(t, "turned about", r.Items[0].X, 1.7+1-0.44)
}

func TestOptionalLoadMayBeAbsent(t *testing.T) {
	r := rig.Resolve(base(t, known, box("a", "100", `,"centre":{}`), `"placements":{"a":{"on":"deck","at":{"back":0},"optional":true}}`, ""), "t", "o")
	near(t, "least mass", r.Bears.Mass.Low, 200)
	near(t, "greatest mass", r.Bears.Mass.High, 300)
	near(t, "least ball", r.Bears.Ball.Low, 0)
}

// What is missing is named, and what does not hang on it is still known.
func TestMissing(t *testing.T) {
	p := base(t, known, `"a":{"order":1,"name":"Crate","size":{},"centre":{}}`, `"placements":{"a":{"on":"deck","at":{"back":0}}}`, "")
	r := rig.Resolve(p, "t", "o")
	if r.Bears != nil || r.Total() != nil || r.Cargo() != nil || len(r.Needs) != 1 || r.Needs[0].Path != "/loads/a/mass" {
		t.Errorf("got %v, needs %v", r.Bears, r.Needs)
	}
	p = base(t, `{}`, box("a", "100", `,"centre":{}`), `"placements":{"a":{"on":"deck","at":{"back":0}}}`, "")
	tr := p.Trailers["t"]
	tr.DeckLength = nil
	p.Trailers["t"] = tr
	if r := rig.Resolve(p, "t", "o"); r.Bears != nil || r.Cargo() == nil || r.Needs[0].Path != "/trailers/t/empty/mass" {
		t.Errorf("the load alone: needs %v", r.Needs)
	}
	p = base(t, known, "", `"placements":{}`, "")
	tr = p.Trailers["t"]
	tr.CouplingToAxle = nil
	p.Trailers["t"] = tr
	if r := rig.Resolve(p, "t", "o"); r.Bears != nil || r.Total() == nil || math.Abs(r.Total().Nominal-200) > 1e-9 {
		t.Errorf("the mass does not hang on the axle's place: %v", r.Total())
	}
	if rig.Resolve(p, "none", "o") != nil {
		t.Error("a trailer that is not there was resolved")
	}
}

func TestNearestHole(t *testing.T) {
	m := &plan.AxleMoves{Min: 2.6, Max: 3.03, Pitch: 0.05}
	for _, c := range [][2]quantity.Length{{2.71, 2.7}, {2.0, 2.6}, {9, 3.0}, {3.02, 3.0}, {2.626, 2.65}} {
		near(t, "hole", float64(rig.NearestHole(m, c[0])), float64(c[1]))
	}
	m.Pitch = 0
	near(t, "free", float64(rig.NearestHole(m, 2.777)), 2.777)
}

// A load that fits the deck stays on it and stops at its neighbour.
func TestFree(t *testing.T) {
	loads := box("a", "80", `,"centre":{}`) + "," + box("b", "20", `,"centre":{}`)
	r := rig.Resolve(base(t, known, loads, `"placements":{"a":{"on":"deck","at":{"back":0.1}},"b":{"on":"deck","at":{"back":1.3}}}`, ""), "t", "o")
	from, to := r.Free(&r.Items[0])
	near(t, "from", from, 0)
	near(t, "to", to, 0.3)
	from, to = r.Free(&r.Items[1])
	near(t, "b from", from, 1.1)
	near(t, "b to", to, 1.4)
}

// Drawings hold no figure that is not finite, and every handle lies in reach.
func TestViews(t *testing.T) {
	r := rig.Resolve(base(t, known, box("a", "80", `,"centre":{}`), `"placements":{"a":{"on":"deck","at":{"back":0.1}}}`, ""), "t", "o")
	views := r.Views()
	if len(views) != 3 {
		t.Fatalf("%d views", len(views))
	}
	data, err := json.Marshal(views)
	if err != nil || len(data) < 500 {
		t.Fatalf("views cannot be sent: %v", err)
	}
	for _, v := range views {
		for _, h := range v.Handles {
			if h.Min > h.At+1e-9 || h.Max < h.At-1e-9 || h.Step <= 0 {
				t.Errorf("%s: handle %+v", v.ID, h)
			}
		}
	}
}
