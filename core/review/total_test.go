package review_test

import (
	"context"
	"encoding/json"
	"fmt"
	"math"
	"math/rand/v2"
	"regexp"
	"sort"
	"strings"
	"testing"

	"zygonos/core/internal/sample"
	"zygonos/core/lang/finding"
	"zygonos/core/lang/quantity"
	"zygonos/core/plan"
	"zygonos/core/review"
	"zygonos/core/study"
)

// leaves lists the path of every member of a document, inner ones too.
func leaves(v any, path string, into *[]string) {
	m, ok := v.(map[string]any)
	if !ok {
		return
	}
	keys := make([]string, 0, len(m))
	for k := range m {
		keys = append(keys, k)
	}
	sort.Strings(keys)
	for _, k := range keys {
		*into = append(*into, path+"/"+k)
		leaves(m[k], path+"/"+k, into)
	}
}

func demoDoc(t *testing.T) (*plan.Plan, []string) {
	t.Helper()
	p := sample.Demo(t, "skarrow-hut")
	// A load of every make, a fitted part and a hitch with a D value beside the story's own.
	at := "/outings/gravel-day/layouts/grey-flatbed/placements/"
	var patch []finding.Op
	if err := json.Unmarshal([]byte(`[
	 {"op":"add","path":"/loads/tank","value":{"order":11,"name":"Water","kind":"tank","mass":{"value":20,"how":"weighed"},"size":{"length":{"value":1,"how":"weighed"},"width":{"value":0.6,"how":"weighed"},"height":{"value":0.6,"how":"weighed"}},"centre":{},"tank":{"fluid":"water","fill":0.4,"capacity":{"value":0.3,"how":"plate"}}}},
	 {"op":"add","path":"/loads/sheets","value":{"order":12,"name":"Sheets","size":{},"centre":{},"pieces":{"material":"plywood","count":3,"length":2.44,"width":1.22,"thickness":0.018}}},
	 {"op":"add","path":"/loads/scoops","value":{"order":13,"name":"Sand","size":{},"centre":{},"bulk":{"material":"sand","by":"scoops","count":1,"volume":{"value":0.05,"how":"typical"},"heap":{"value":1,"how":"guessed"}}}},
	 {"op":"add","path":"`+at+`tank","value":{"on":"deck","at":{"back":1.9}}},
	 {"op":"add","path":"`+at+`sheets","value":{"on":"deck","at":{"back":0.2}}},
	 {"op":"add","path":"`+at+`scoops","value":{"on":"deck","at":{"back":0.5}}},
	 {"op":"add","path":"/trailers/grey-flatbed/fitted","value":{"ramps":{"at":{"back":2.7}}}},
	 {"op":"add","path":"/trailers/grey-flatbed/drawbar","value":{"profile":{"shape":"tube","height":0.06,"width":0.06,"wall":0.003,"material":"s235"},"beams":1,"longer":0.4,"way":"sleeve","overlap":0.2,"bolts":4,"bolt":0.012,"grade":"8.8"}},
	 {"op":"add","path":"/parts/cradle","value":{"order":40,"name":"Cradle","mass":{"value":30,"how":"typical"},"size":{},"centre":{},"cradle":{"keel":0.1,"bowStop":-0.5,"winchAt":-0.8,"winchUp":0.5,"bunks":{"from":0.2,"to":1.8,"apart":0.8},"rollers":{"a":{"order":1,"at":0.2},"b":{"order":2,"at":1.8}}}}},
	 {"op":"add","path":"/loads/dinghy","value":{"order":14,"name":"Dinghy","kind":"dinghy","mass":{"value":60,"how":"weighed"},"size":{"length":{"value":3,"how":"weighed"},"width":{"value":1.3,"how":"weighed"},"height":{"value":0.5,"how":"weighed"}},"centre":{},"hull":{"draft":0.2,"eyeAt":0.1,"eyeUp":0.3}}},
	 {"op":"add","path":"/outings/boat-day/layouts/grey-flatbed/parts/cradle","value":{"at":{"back":0}}},
	 {"op":"add","path":"/outings/boat-day/layouts/grey-flatbed/placements/dinghy","value":{"on":"part","id":"cradle","at":{"back":-0.5}}},
	 {"op":"add","path":"/outings/boat-day/slip","value":{"angle":0.13}},
	 {"op":"add","path":"/outings/two-seater-day/layouts/grey-flatbed/loading","value":{"machine":"two-seater","ramp":"ramps","drive":"winch","fall":0.02,"kerb":0.05,"raised":0.05,"props":{"back":2.8,"gap":0.02},"driver":{"value":85,"how":"weighed"},
	   "winch":{"pull":900,"back":0,"up":0.3,"drum":0.06,"line":0.006,"layer":2,"ratio":4,"crank":0.25,"amps":150,"idle":20,"speed":0.03,"battery":40,"lineMax":900,"hookMax":900,"tieMax":900,"post":{"shape":"tube","height":0.06,"width":0.06,"wall":0.003,"material":"s235"}}}},
	 {"op":"add","path":"/parts/ramps/ramp","value":{"length":1.9,"width":0.3,"rating":450,"sides":2,"middle":true,"gap":0.1,"lip":0.08,"held":"strip","play":0.02,"profile":{"shape":"tube","height":0.06,"width":0.04,"wall":0.003,"material":"s235"}}},
	 {"op":"add","path":"/loads/two-seater/rolling","value":{"frontAxle":{"value":0.45,"how":"weighed"},"wheelbase":{"value":1.9,"how":"weighed"},"track":{"value":1.2,"how":"weighed"},"clearance":{"value":0.25,"how":"weighed"},"wheel":0.6,"frontWheel":0.55,"frontTrack":0.9,"frontTyre":0.15,"tyre":0.22,"nose":0.3}},
	 {"op":"add","path":"/outings/two-seater-day/layouts/grey-flatbed/lashings","value":{"a":{"order":1,"load":"two-seater","strap":"ratchet","from":"front-left","hold":{"back":0.4,"right":-0.5,"up":0.3}},"b":{"order":2,"load":"two-seater","strap":"ratchet","from":"front-right","hold":{"back":0.4,"right":0.5,"up":0.3}},
	   "c":{"order":3,"load":"two-seater","strap":"ratchet","from":"rear-left","to":"rear-right","hold":{"back":2}}}},
	 {"op":"add","path":"/outings/boat-day/layouts/grey-flatbed/lashings","value":{"a":{"order":1,"load":"green-canoe","strap":"cam","from":"boat-rack.right.1.left","to":"boat-rack.right.1.right","hold":{"back":1}}}},
	 {"op":"add","path":"/straps/cam/pull","value":30},{"op":"add","path":"/straps/cam/breaks","value":750},
	 {"op":"add","path":"/trailers/grey-flatbed/tiePoints/front-left/rating","value":400},
	 {"op":"add","path":"/outings/two-seater-day/layouts/grey-flatbed/placements/two-seater/grip","value":0.4},
	 {"op":"add","path":"/outings/two-seater-day/layouts/grey-flatbed/placements/two-seater/blocked","value":{"front":true,"left":true,"takes":300}},
	 {"op":"add","path":"/outings/boat-day/layouts/grey-flatbed/placements/skiff/surface","value":"carpet"},
	 {"op":"add","path":"/trailers/grey-flatbed/tiePoints/front-right/fastening","value":{"bolts":2,"bolt":0.008,"grade":"8.8","in":"ply","thick":0.015,"washer":0.04}},
	 {"op":"add","path":"/straps/ratchet/hook","value":"S"},
	 {"op":"add","path":"/loads/green-canoe/hull","value":{"press":90}},
	 {"op":"add","path":"/outings/boat-day/departures","value":{"a":{"order":1,"on":"2026-05-01","revision":3,"ticks":{"latch":true}}}},
	 {"op":"add","path":"/parts/boat-rack/rack/brace","value":0.25},
	 {"op":"add","path":"/parts/boat-rack/rack/bar/perMetre","value":7.5},
	 {"op":"add","path":"/parts/boat-rack/rack/post/perMetre","value":7.5},
	 {"op":"replace","path":"/parts/boat-rack/rack/foot","value":"bolted"},
	 {"op":"add","path":"/parts/boat-rack/rack/bolts","value":4},
	 {"op":"add","path":"/parts/boat-rack/rack/bolt","value":0.01},
	 {"op":"add","path":"/parts/boat-rack/rack/gauge","value":0.08},
	 {"op":"add","path":"/parts/boat-rack/slots/left/pose","value":"edge"},
	 {"op":"add","path":"/parts/boat-rack/slots/left/lean","value":1.2},
	 {"op":"add","path":"/towVehicles/crew-pickup/hitchD","value":12000}]`), &patch); err != nil {
		t.Fatal(err)
	}
	p, err := plan.Apply(p, patch)
	if err != nil {
		t.Fatal(err)
	}
	return p, pathsOf(t, p)
}

// pathsOf lists every member of a plan.
func pathsOf(t *testing.T, p *plan.Plan) (paths []string) {
	t.Helper()
	written, err := plan.Write(p)
	if err != nil {
		t.Fatal(err)
	}
	var doc any
	if err := json.Unmarshal(written, &doc); err != nil {
		t.Fatal(err)
	}
	leaves(doc, "", &paths)
	return paths
}

// sound holds a report against what every report must be: it can be sent, each
// unknown is stated what it needs, each working can be made, nothing that is not
// a number is shown, and the headline does not promise more than was checked.
func sound(t *testing.T, what string, rep *review.Report, l quantity.Locale) {
	t.Helper()
	data, err := json.Marshal(rep)
	if err != nil {
		t.Fatalf("%s: %v", what, err)
	}
	if strings.Contains(string(data), "NaN") || strings.Contains(string(data), "Inf") {
		t.Errorf("%s: the report holds what is no number", what)
	}
	keys := map[string]bool{}
	for i := range rep.Findings {
		f := &rep.Findings[i]
		if keys[f.Key()] {
			t.Errorf("%s: two findings under %s", what, f.Key())
		}
		keys[f.Key()] = true
		text := f.Says.Text(l)
		if text == "" || strings.Contains(text, "–") || strings.Contains(text, "%!") || strings.Contains(text, "{") {
			t.Errorf("%s: %s says %q", what, f.Code, text)
		}
		if f.Outcome == finding.Holds && f.Essential && f.Figure == nil {
			t.Errorf("%s: %s holds without a figure", what, f.Code)
		}
		if f.HasWork && len(f.Work()) == 0 {
			t.Errorf("%s: %s has no working", what, f.Code)
		}
	}
	if rep.Headline.Outcome == finding.Holds && rep.Headline.Checked < rep.Headline.Of {
		t.Errorf("%s: the headline holds with %d of %d checked", what, rep.Headline.Checked, rep.Headline.Of)
	}
}

// Whatever single member is taken out of the demo plan, the review gives a
// sound report.
func TestTotalWithoutAnyMember(t *testing.T) {
	long(t)
	p, paths := demoDoc(t)
	tried := 0
	for _, path := range paths {
		cut, err := plan.Apply(p, []finding.Op{{Op: "remove", Path: path}})
		if err != nil {
			t.Errorf("%s: %v", path, err)
			continue
		}
		tried++
		for _, outing := range []string{"gravel-day", "boat-day"} {
			sound(t, "without "+path, review.Review(cut, review.Request{Outing: outing}), cut.Locale())
		}
	}
	if tried < 200 {
		t.Errorf("only %d members were tried", tried)
	}
}

// Whatever number is put for any other, the review gives a sound report.
func TestTotalWithOddNumbers(t *testing.T) {
	long(t)
	p, paths := demoDoc(t)
	for _, path := range paths {
		for _, v := range []float64{0, -1, 1e-9, 3.7, 1e9} {
			odd, err := plan.Apply(p, []finding.Op{{Op: "replace", Path: path, Value: v}})
			if err != nil {
				continue // a number does not fit there
			}
			outing := "two-seater-day"
			if strings.Contains(path, "rack") || strings.Contains(path, "cradle") || strings.Contains(path, "dinghy") || strings.Contains(path, "boat-day") {
				outing = "boat-day"
			}
			sound(t, fmt.Sprintf("%s = %v", path, v), review.Review(odd, review.Request{Outing: outing}), odd.Locale())
		}
	}
}

// Several members at once, in every region and both unit systems, settled too.
func TestTotalAtRandom(t *testing.T) {
	long(t)
	p, paths := demoDoc(t)
	r := rand.New(rand.NewPCG(11, 12))
	for range often(60) {
		q := p
		for range 1 + r.IntN(12) {
			if cut, err := plan.Apply(q, []finding.Op{{Op: "remove", Path: paths[r.IntN(len(paths))]}}); err == nil {
				q = cut
			}
		}
		q.Region = quantity.Regions[r.IntN(5)]
		q.Units = []quantity.System{quantity.Metric, quantity.Imperial}[r.IntN(2)]
		sound(t, "at random", study.Settled(context.Background(), q, review.Request{}), q.Locale())
	}
}

// The comparison and the gate before buying give an answer whatever is missing.
func TestTotalComparison(t *testing.T) {
	long(t)
	p := sample.Demo(t, "heather-hives")
	paths := pathsOf(t, p)
	r := rand.New(rand.NewPCG(5, 6))
	for range 60 {
		q := p
		for range 1 + r.IntN(20) {
			if cut, err := plan.Apply(q, []finding.Op{{Op: "remove", Path: paths[r.IntN(len(paths))]}}); err == nil {
				q = cut
			}
		}
		q.Region = quantity.Regions[r.IntN(5)]
		for what, answer := range map[string]any{"compare": study.Compare(context.Background(), q, review.Request{}, r.IntN(4) == 0), "tows": study.Tows(context.Background(), q), "buy": study.Buy(context.Background(), q, "low-kit")} {
			data, err := json.Marshal(answer)
			if err != nil || strings.Contains(string(data), "%!") {
				t.Fatalf("%s: %v", what, err)
			}
		}
	}
}

// Mirroring every place mirrors the wheels and leaves ball and axle alone.
func TestMirror(t *testing.T) {
	p := sample.Plan(t, sample.Crate+"/at/right", `0.13`, "/loads/crate/centre/right", `{"value":0.04,"plusMinus":0.01,"how":"weighed"}`)
	m := sample.Plan(t, sample.Crate+"/at/right", `-0.13`, "/loads/crate/centre/right", `{"value":-0.04,"plusMinus":0.01,"how":"weighed"}`)
	a, b := review.Review(p, review.Request{}).Figures, review.Review(m, review.Request{}).Figures
	for _, pair := range [][2]*finding.Measure{{a.Left, b.Right}, {a.Right, b.Left}, {a.Ball, b.Ball}, {a.Axle, b.Axle}} {
		if math.Abs(pair[0].Value-pair[1].Value) > 1e-9 || math.Abs(*pair[0].Low-*pair[1].Low) > 1e-9 || math.Abs(*pair[0].High-*pair[1].High) > 1e-9 {
			t.Errorf("%+v is not mirrored by %+v", pair[0], pair[1])
		}
	}
}

// Rearward never raises the ball load; heavier never lightens the axle.
func TestMonotone(t *testing.T) {
	last := math.Inf(1)
	for back := 0.0; back <= 1.5; back += 0.05 {
		f := review.Review(sample.Plan(t, sample.Crate+"/at/back", fmt.Sprint(back)), review.Request{}).Figures
		if f.Ball.Value >= last {
			t.Errorf("at %.2f m the ball bears %v, before %v", back, f.Ball.Value, last)
		}
		last = f.Ball.Value
		if sum := f.Ball.Value + f.Axle.Value; math.Abs(sum-f.Mass.Value) > 1e-9 {
			t.Errorf("ball and axle bear %v of %v", sum, f.Mass.Value)
		}
	}
	last = 0
	for m := 50.0; m <= 900; m += 50 {
		f := review.Review(sample.Plan(t, "/loads/crate/mass/value", fmt.Sprint(m)), review.Request{}).Figures
		if f.Axle.Value <= last {
			t.Errorf("with %v kg the axle bears %v, before %v", m, f.Axle.Value, last)
		}
		last = f.Axle.Value
	}
}

// fixed are words of a region within the plain text of a sentence.
var fixed = regexp.MustCompile(
	`(?i)"text":"[^"]*\b(coupling|mudguards?|weighbridge|tyres?|jockey wheel|drawbar|number plate|noseweight|kerb weight)\b[^"]*"`)

// Findings and headline speak the region's words.
func TestWordsOfTheRegion(t *testing.T) {
	for region, want := range map[string][]string{
		"na": {"Tongue weight", "Coupler", "GVWR", "Tires", "GCWR"},
		"uk": {"Noseweight", "Coupling head", "MAM", "Tyres", "Gross train weight"},
		"eu": {"Noseweight", "Coupling head", "permissible mass", "Tyres", "Permissible train mass"},
		"au": {"Ball weight", "Coupling", "ATM", "GTM", "GCM"},
		"nz": {"Ball weight", "Coupling", "gross laden mass", "Tyres", "Gross combination mass"},
	} {
		p := sample.Plan(t, "/region", `"`+region+`"`)
		var all strings.Builder
		rep := review.Review(p, review.Request{})
		for i := range rep.Findings {
			all.WriteString(rep.Findings[i].Says.Text(p.Locale()) + "\n")
		}
		for _, word := range want {
			if !strings.Contains(all.String(), word) {
				t.Errorf("%s: nothing says %q", region, word)
			}
		}
		for id := range p.Outings {
			data, err := json.Marshal(study.Settled(context.Background(), p, review.Request{Outing: id}))
			if err != nil {
				t.Fatal(err)
			}
			if bare := fixed.FindAll(data, 5); bare != nil { // what its terms do not replace
				t.Errorf("%s, %s: plain words that differ by region: %s", region, id, bare)
			}
		}
	}
}

// Only the settled tier carries fixes and the other outings.
func TestTiers(t *testing.T) {
	p, _ := demoDoc(t)
	live := review.Review(p, review.Request{})
	if live.Settled || live.Outings != nil {
		t.Error("the live tier judged other outings")
	}
	for i := range live.Findings {
		if live.Findings[i].Fixes != nil {
			t.Error("the live tier looked for fixes")
		}
	}
	settled := study.Settled(context.Background(), p, review.Request{})
	if !settled.Settled || len(settled.Outings) != 3 {
		t.Error("the settled tier is not whole")
	}
}
