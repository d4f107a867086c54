package rack_test

import (
	"math"
	"strings"
	"testing"

	"zygonos/core/ask/rack"
	"zygonos/core/internal/sample"
	"zygonos/core/lang/finding"
	"zygonos/core/lang/quantity"
	"zygonos/core/parts"
	"zygonos/core/plan"
	"zygonos/core/rig"
	"zygonos/core/sums/statics"
)

type length = quantity.Length

func resolved(t *testing.T, sets ...string) *rig.Rig {
	return rig.Resolve(sample.Plan(t, sets...), "t", "o")
}

func near(t *testing.T, what string, got, want float64) {
	t.Helper()
	if math.Abs(got-want) > 2e-4*math.Max(1e-9, math.Abs(want)) {
		t.Errorf("%s: got %.6g, want %.6g", what, got, want)
	}
}

func TestShares(t *testing.T) {
	// 40 kg, centre 0.8 m behind the front of two frames 2 m apart: 24 and 16.
	two := statics.Shares(40, 0.8, []float64{0, 2})
	near(t, "front", two[0], 24)
	near(t, "rear", two[1], 16)
	// Three frames, centre in the middle: a third each; off it by 0.2: Σ(x − x̄)² = 2.
	three := statics.Shares(30, 1.2, []float64{0, 1, 2})
	near(t, "first of three", three[0], 7)
	near(t, "last of three", three[2], 13)
	for c := -1.0; c < 3; c += 0.3 { // equilibrium
		sum, moment := 0.0, 0.0
		for i, v := range statics.Shares(50, c, []float64{0.2, 1.1, 2.4}) {
			sum, moment = sum+v, moment+v*[]float64{0.2, 1.1, 2.4}[i]
		}
		near(t, "sum", sum, 50)
		near(t, "moment", moment+1e3, 50*c+1e3)
	}
}

// rackOf gives the sample a rack of two frames 2 m apart, one tier 0.8 m up with bars
// of 1.6 m on posts 1.0 m apart, tube 40 × 40 × 3 of S235, and on it the crate as a hull of
// 60 kg, 4.0 × 0.8 m, its centre midway.
func rackOf(t *testing.T, more ...string) *rig.Rig {
	tube := `{"shape":"tube","height":0.04,"width":0.04,"wall":0.003,"material":"s235"}`
	sets := []string{"/trailers/t/deckHeight", `{"value":0.6,"how":"weighed"}`,
		"/parts/r", `{"order":1,"name":"Rack","size":{},"centre":{},"rack":{"frontAt":0,"rearAt":2,"posts":2,"apart":1,"foot":"pocket","post":` + tube + `,"bar":` + tube + `,"tiers":{"one":{"order":1,"up":0.8,"length":1.6}}},
		"slots":{"s":{"order":1,"name":"S","tier":"one","at":{"back":-1,"right":0,"up":0}}}}`,
		"/outings/o/layouts/t/parts", `{"r":{"at":{"back":0.2}}}`, "/loads/crate/kind", `"canoe"`, "/loads/crate/mass/value", `60`,
		"/loads/crate/size", `{"length":{"value":4,"how":"weighed"},"width":{"value":0.8,"how":"weighed"},"height":{"value":0.4,"how":"weighed"}}`,
		"/loads/crate/centre", `{"back":{"value":2,"how":"weighed"}}`, sample.Crate, `{"on":"part","id":"r","slot":"s","at":{"back":0}}`}
	return rig.Resolve(sample.Plan(t, append(sets, more...)...), "t", "o")
}

// Bars 2 × 1.6 m and posts 4 × 0.76 m of 40 × 40 × 3 (4.2078 cm², 3.3031 kg/m at 7850):
// (3.2 + 3.04)·3.3031 = 20.612 kg.
func TestMass(t *testing.T) {
	r := rackOf(t)
	built, _ := rack.Check(r)
	area := 2*0.003*(0.08-0.006) - (4-math.Pi)*(0.006*0.006-0.003*0.003)
	want := 6.24 * area * 7850
	near(t, "built", built[0].Mass.Value, want)
	sum := 0.0
	for _, p := range built[0].Pieces {
		sum += p.Mass.Value
	}
	for i := range r.Items {
		if r.Items[i].Part && math.Abs(r.Items[i].Mass.Nominal-sum) > 0.0005 {
			t.Errorf("the balance has %v kg, the cut list %v", r.Items[i].Mass.Nominal, sum)
		}
	}
	near(t, "foam", built[0].Foam.Value, 3.2)
	// Its centre: bars at 0.78 m, posts at 0.38 m.
	part := parts.Filled(r.Plan.Parts["r"])
	near(t, "height of the centre", float64(part.Centre.Up.Value), (3.2*0.78+3.04*0.38)/6.24)
}

// The hull bears by 15 kg at 0.24 m either side of the middle, between posts ±0.5: at
// a post's bar 0.5 m from the end. Moment at rest from the middle load
// 15·9.80665·(0.5 − 0.24) = 38.246 N·m less the arms' and plus the span's own weight:
// w = 32.392 N/m: at the middle w/2·(0.25 − 0.09) = + w·(1/8 − 0.3²/2)= + w·0.08 = 2.591.
// Twice of 40.837 over W 4.6618 cm³ (EN 10219-2, annex B): 17.5 MPa of 156.7.
func TestBar(t *testing.T) {
	r := rackOf(t)
	_, fs := rack.Check(r)
	f := sample.Find(t, fs, rack.CodeBar)
	w := 4.2078e-4 * 7850 * 9.80665
	moment := 15*9.80665*0.26 + w*0.08
	near(t, "stress", f.Figure.Value/1e6, 2*moment/4.66178e-6/1e6)
	near(t, "allowed", f.Limit.Value, 235e6/1.5)
	if f.Outcome != finding.Holds || len(f.Work()) == 0 {
		t.Errorf("%s %s", f.Outcome, f.Says.Text(r.Plan.Locale()))
	}
	// Posts: Σ m·h = 60·0.8 + 20.6122·0.585128 = 60.0608 kg·m on four: 0.8 g·15.0152/W.
	post := sample.Find(t, fs, rack.CodePost)
	near(t, "posts", post.Figure.Value/1e6, 0.8*9.80665*(48+3.3031*(3.2*0.78+3.04*0.38))/4/4.66178e-6/1e6)
}

// A hull of 60 kg 0.4 m right of single posts bends each by 30·0.4 = 12 kg·m at rest. In a hard
// bend Σ m·h = 48 + 3.3031·(3.2·0.78 + 1.52·0.38) + 60·0.15 = 67.152, half of it on each of two:
// 0.5·33.576 + 12 = 28.788 kg·m, over 0.8·29.076 when braking and 2·12 on a bump; on a track 3·12.
// Four bolts in rows 80 mm apart: 28.788·9.80665/(2·0.08) = 1764.5 N.
func TestAslant(t *testing.T) {
	at := "/parts/r/rack"
	sets := []string{at + "/posts", `1`, "/parts/r/slots/s/at/right", `0.4`, "/loads/crate/centre/up", `{"value":0.15,"how":"weighed"}`,
		at + "/foot", `"bolted"`, at + "/bolts", `4`, at + "/bolt", `0.01`, at + "/gauge", `0.08`}
	for road, c := range map[string]struct {
		moment float64
		when   string
	}{`"road"`: {28.788, "in a hard bend"}, `"track"`: {36, "on a bump, loaded aslant"}} {
		r := rackOf(t, append(sets, "/outings/o/road", road)...)
		_, fs := rack.Check(r)
		f := sample.Find(t, fs, rack.CodePost)
		near(t, "post on the "+road, f.Figure.Value, c.moment*9.80665/4.66178e-6)
		if says := f.Says.Text(r.Plan.Locale()); !strings.Contains(says, c.when) {
			t.Error(says)
		}
		near(t, "bolts on the "+road, sample.Find(t, fs, rack.CodeFoot).Figure.Value, c.moment*9.80665/(2*0.08))
	}
}

// Posts at ±0.5 m carry a bar of 1.6 m: a span of 1.0 m between them, or what hangs out by 0.3,
// twice of which counts; a third post halves the one.
func TestSagSpans(t *testing.T) {
	for posts, want := range map[string][]float64{`2`: {1, 0.6}, `3`: {0.5, 0.6}} {
		_, fs := rack.Check(rackOf(t, "/parts/r/rack/posts", posts))
		got := sample.Find(t, fs, rack.CodeSag).Limit.Value * 150
		if math.Abs(got-want[0]) > 1e-9 && math.Abs(got-want[1]) > 1e-9 {
			t.Errorf("%s posts: a span of %v m", posts, got)
		}
	}
	// Posts 1 µm apart are no frame.
	_, fs := rack.Check(rackOf(t, "/parts/r/rack/apart", `0.000001`))
	if f := sample.Find(t, fs, rack.CodeBar); f.Outcome == finding.Holds || f.Outcome == finding.Tight {
		t.Errorf("%s %+v", f.Outcome, f.Figure)
	}
}

func TestOutcomes(t *testing.T) {
	at := "/parts/r/rack"
	for name, c := range map[string]struct {
		code, want, says string
		sets             []string
	}{
		"thin bar":     {rack.CodeBar, "fails", "next section up", []string{at + "/bar", `{"shape":"tube","height":0.02,"width":0.02,"wall":0.0015,"material":"mild"}`, "/loads/crate/mass/value", `120`}},
		"sags":         {rack.CodeSag, "tight", "mid post", []string{at + "/bar", `{"shape":"bar","height":0.02,"width":0.04,"material":"c16"}`, "/loads/crate/mass/value", `50`}},
		"track":        {rack.CodeBar, "holds", "a shock factor of 3", []string{"/outings/o/road", `"track"`}},
		"tips":         {rack.CodeSupport, "fails", "tips off", []string{"/loads/crate/centre/back/value", `3.4`}},
		"near a frame": {rack.CodeSupport, "tight", "Slide it toward the middle", []string{"/loads/crate/centre/back/value", `2.8`}},
		"frames near":  {rack.CodeSupport, "tight", "are 25 % of the length", []string{at + "/rearAt", `1.0`, "/loads/crate/centre/back/value", `1.5`}},
		"well carried": {rack.CodeSupport, "holds", "carry 30 kg and 30 kg", nil},
		"no wall":      {rack.CodeSection, "fails", "the wall is zero", []string{at + "/bar/wall", `0`}},
		"thick wall":   {rack.CodeSection, "fails", "thicker than half", []string{at + "/post/wall", `0.03`}},
		"no tier":      {rack.CodeSection, "unknown", "add one", []string{at + "/tiers", `{}`}},
		"high":         {rack.CodeReach, "tight", "step and care", []string{at + "/tiers/one/up", `1.3`, "/loads/crate/mass/value", `40`}},
		"heavy":        {rack.CodeReach, "tight", "two people", []string{"/loads/crate/mass/value", `90`}},
		"weak posts":   {rack.CodePost, "fails", "brace", []string{at + "/post", `{"shape":"round","height":0.025,"wall":0.002,"material":"mild"}`}},
		"some post":    {rack.CodePost, "tight", "mild steel is assumed", []string{at + "/post/material", `"found"`}},
		"some bar":     {rack.CodeBar, "tight", "mild steel is assumed", []string{at + "/bar/material", `"found"`}},
		"welded":       {rack.CodePost, "holds", "competent welder", []string{at + "/foot", `"welded"`}},
		"posts beyond": {rack.CodeBar, "fails", "cannot work", []string{at + "/apart", `2`}},
		"lost tier":    {rack.CodeTier, "unknown", "is on no tier", []string{"/parts/r/slots/s/tier", `"gone"`}},
		"alone":        {rack.CodeRoom, "holds", "Nothing lies beside", nil},
	} {
		r := rackOf(t, c.sets...)
		_, fs := rack.Check(r)
		f := sample.Find(t, fs, c.code)
		if says := f.Says.Text(r.Plan.Locale()); string(f.Outcome) != c.want || !strings.Contains(says, c.says) {
			t.Errorf("%s: %s %q", name, f.Outcome, says)
		}
	}
}

// Each hull is judged on the frames: one that bears alike on both, but is too short for them, comes before
// one of the right length that bears 24 and 36 kg; of two that lie alike the heavier one is stated.
func TestEachHullLies(t *testing.T) {
	hull := func(long, at string, kg string) []string {
		return []string{"/loads/crate/centre/back/value", `2.2`,
			"/loads/b", `{"order":2,"name":"Second","kind":"canoe","mass":{"value":` + kg + `,"how":"weighed"},"size":{"length":{"value":` + long + `,"how":"weighed"},"width":{"value":0.6,"how":"weighed"},"height":{"value":0.3,"how":"weighed"}},"centre":{"back":{"value":` + at + `,"how":"weighed"}}}`,
			"/parts/r/slots/b", `{"order":2,"name":"B","tier":"one","at":{"back":` + map[string]string{"2.6": "-0.3", "4": "-1"}[long] + `,"right":0.45,"up":0}}`, "/parts/r/slots/s/at/right", `-0.38`,
			"/outings/o/layouts/t/placements/b", `{"on":"part","id":"r","slot":"b","at":{"back":0}}`}
	}
	for _, c := range []struct{ long, at, kg, outcome, says string }{
		{"4", "2", "30", "holds", "carry 24 kg and 36 kg of Crate"},
		{"2.6", "1.3", "30", "tight", "are 76.9 % of the length of Second"},
		{"4", "2.2", "90", "holds", "carry 36 kg and 54 kg of Second"},
	} {
		_, fs := rack.Check(rackOf(t, hull(c.long, c.at, c.kg)...))
		f := sample.Find(t, fs, rack.CodeSupport)
		if says := f.Says.Text(quantity.Locale{}); string(f.Outcome) != c.outcome || !strings.Contains(says, c.says) {
			t.Errorf("%s m, %s kg: %s %q", c.long, c.kg, f.Outcome, says)
		}
	}
}

// Two hulls in one tier: 0.8 m wide each at ±0.38 m lie 40 mm into each other.
func TestRoom(t *testing.T) {
	second := []string{"/loads/b", `{"order":2,"name":"Second","kind":"canoe","mass":{"value":30,"how":"weighed"},"size":{"length":{"value":4,"how":"weighed"},"width":{"value":0.8,"how":"weighed"},"height":{"value":0.4,"how":"weighed"}},"centre":{}}`,
		"/parts/r/slots/b", `{"order":2,"name":"B","tier":"one","at":{"back":-1,"right":0.38,"up":0}}`, "/parts/r/slots/s/at/right", `-0.38`,
		"/outings/o/layouts/t/placements/b", `{"on":"part","id":"r","slot":"b","at":{"back":0}}`}
	_, fs := rack.Check(rackOf(t, second...))
	f := sample.Find(t, fs, rack.CodeRoom)
	near(t, "gap", f.Figure.Value, -0.04)
	if f.Outcome != finding.Fails {
		t.Errorf("%s", f.Outcome)
	}
	// A crate 1.2 m wide on the deck between posts 1.0 m apart, 40 mm wide: 0.6 − 0.48 = 120 mm.
	crate := []string{"/loads/c", `{"order":3,"name":"Chest","kind":"box","mass":{"value":30,"how":"weighed"},"size":{"length":{"value":1,"how":"weighed"},"width":{"value":1.2,"how":"weighed"},"height":{"value":0.3,"how":"weighed"}},"centre":{}}`,
		"/outings/o/layouts/t/placements/c", `{"on":"deck","at":{"back":0}}`}
	r := rackOf(t, crate...)
	_, fs = rack.Check(r)
	if f := sample.Find(t, fs, rack.CodeRoom); f.Outcome != finding.Fails || !strings.Contains(f.Says.Text(r.Plan.Locale()), "A post stands 120 mm inside Chest") {
		t.Errorf("%s %s", f.Outcome, f.Says.Text(r.Plan.Locale()))
	}
	_, fs = rack.Check(rackOf(t, append(second, "/parts/r/slots/b/at/right", "0.44")...))
	if f := sample.Find(t, fs, rack.CodeRoom); f.Outcome != finding.Tight {
		t.Errorf("20 mm: %s %v", f.Outcome, f.Figure)
	}
}

func TestLoadsUnderATier(t *testing.T) {
	// A chest 0.9 m high on the deck, narrow between the posts, under bars 0.8 m up: 100 mm into
	// the hull. Gear of 20 kg that rides on the hull counts with it: 30 + 10 kg on each frame.
	chest := []string{"/loads/c", `{"order":3,"name":"Chest","kind":"box","mass":{"value":30,"how":"weighed"},"size":{"length":{"value":1,"how":"weighed"},"width":{"value":0.5,"how":"weighed"},"height":{"value":0.9,"how":"weighed"}},"centre":{}}`,
		"/outings/o/layouts/t/placements/c", `{"on":"deck","at":{"back":0}}`}
	_, fs := rack.Check(rackOf(t, chest...))
	near(t, "into it", sample.Find(t, fs, rack.CodeRoom).Figure.Value, -0.1)
	gear := []string{"/loads/g", `{"order":4,"name":"Gear","kind":"box","mass":{"value":20,"how":"weighed"},"size":{"length":{"value":0.4,"how":"weighed"},"width":{"value":0.3,"how":"weighed"},"height":{"value":0.2,"how":"weighed"}},"centre":{}}`,
		"/outings/o/layouts/t/placements/g", `{"on":"load","id":"crate","at":{"back":1.8}}`}
	_, fs = rack.Check(rackOf(t, gear...))
	near(t, "on a frame", sample.Find(t, fs, rack.CodeSupport).Figure.Value, 40)
}

// 60 kg, 4 m: on four pads of 50 × 100 mm twice 588.4 N over 0.02 m²: 58.84 kPa; on bunks
// of 2.4 m with 0.6 of it bearing, 90 mm wide: 1176.8/(2·2.4·0.6·0.09) = 4.54 kPa; strapped on
// pads (588.4 + 1000)/0.02 = 79.42; on four saddle pads of 60 × 150 mm 1176.8/0.036 = 32.69.
func TestSchools(t *testing.T) {
	s := rack.Schools(rackOf(t))
	if len(s) != 5 {
		t.Fatalf("%d schools", len(s))
	}
	near(t, "pads", s[0].Rows[0].Pressure.Value, 2*60*9.80665/0.02)
	near(t, "bunks", s[1].Rows[0].Pressure.Value, 2*60*9.80665/0.2592)
	near(t, "strapped", s[0].Rows[0].Strapped.Value, (60*9.80665+1000)/0.02)
	near(t, "foam", s[2].Rows[0].Pressure.Value, 2*60*9.80665/0.06)
	near(t, "saddles", s[3].Rows[0].Pressure.Value, 2*60*9.80665/(4*0.06*0.15))
	near(t, "stacked, alone", s[4].Rows[0].Pressure.Value, 2*60*9.80665/0.06)
	near(t, "beyond", s[1].Rows[0].Beyond.Value, 0.8)
	near(t, "span", s[0].Rows[0].Span.Value, 2)
	if rack.Schools(rig.Resolve(sample.Plan(t), "t", "o")) != nil {
		t.Error("no hull, and schools")
	}
}

// The drawing holds every bar and post of the frames seen, within its bounds.
func TestDrawing(t *testing.T) {
	part := rackOf(t).Plan.Parts["r"]
	v := rack.Drawing(&part)
	count := map[string]int{}
	for _, s := range v.Shapes {
		count[s.Class]++
		for _, p := range s.Points {
			if p[0] < v.Min[0]-1e-9 || p[0] > v.Max[0]+1e-9 || p[1] < v.Min[1]-1e-9 || p[1] > v.Max[1]+1e-9 {
				t.Errorf("%s at %v lies beyond %v to %v", s.Class, p, v.Min, v.Max)
			}
		}
	}
	// From behind two posts and a bar with two holes; from the side a post and a bar for each of two frames.
	if count["post"] != 4 || count["bar"] != 3 || count["hole"] != 2 {
		t.Errorf("%v", count)
	}
	part.Rack = nil
	if v := rack.Drawing(&part); len(v.Shapes) != 0 {
		t.Error("no rack, and shapes")
	}
}

// A hull of 2.0 m does not reach frames 2.6 m apart, however well it lies between them; on
// three frames one that would have to pull idles and the other two carry it all.
func TestReachesItsFrames(t *testing.T) {
	at := "/parts/r/rack"
	short := []string{at + "/rearAt", `2.6`, "/loads/crate/size/length/value", `2`, "/loads/crate/centre/back/value", `1`, "/parts/r/slots/s/at/back", `0.3`}
	_, fs := rack.Check(rackOf(t, short...))
	if f := sample.Find(t, fs, rack.CodeSupport); f.Outcome != finding.Fails || !strings.Contains(f.Says.Text(quantity.Locale{}), "reaches only 0 of 2 frames") {
		t.Errorf("%s %s", f.Outcome, f.Says.Text(quantity.Locale{}))
	}
	// With one midway it reaches 1.3 m and, slid back, 2.6 m: its centre at 1.9, shares 32.3 and 27.7 kg.
	r := rackOf(t, append(short, at+"/middle", `true`, "/parts/r/slots/s/at/back", `0.9`)...)
	part := r.Plan.Parts["r"]
	for i := range r.Items {
		if r.Items[i].Part {
			h := rack.Hulls(r, &r.Items[i], &part)[0]
			near(t, "front", h.Frames[0]+1, 1)
			near(t, "middle", h.Frames[1], 60*(2.6-1.9)/1.3)
			near(t, "rear", h.Frames[2], 60*(1.9-1.3)/1.3)
			if !h.Bears {
				t.Error("two frames carry it")
			}
		}
	}
	// Three under it, its centre 0.2 m before the last: 60·(1/3 ± 0.8·1/2): 20 − 24 would pull.
	on, ok := statics.Bearing(60, 1.8, []float64{0, 1, 2})
	near(t, "idle", on[0]+1, 1)
	near(t, "second", on[1], 12)
	near(t, "third", on[2], 48)
	if !ok {
		t.Error("two of three carry it")
	}
	if _, ok := statics.Bearing(60, 2.1, []float64{0, 1, 2}); ok {
		t.Error("beyond the last it tips")
	}
}

// A bar of another tier runs through a hull: the second tier 0.2 m over the first, the hull
// 0.4 m high, bars of 40 mm.
func TestBarsOfOtherTiers(t *testing.T) {
	r := rackOf(t, "/parts/r/rack/tiers/two", `{"order":2,"up":1.0,"length":1.6}`)
	_, fs := rack.Check(r)
	if f := sample.Find(t, fs, rack.CodeRoom); f.Outcome != finding.Fails || !strings.Contains(f.Says.Text(r.Plan.Locale()), "A bar of tier two runs 40 mm into Crate") {
		t.Errorf("%s %s", f.Outcome, f.Says.Text(r.Plan.Locale()))
	}
	_, fs = rack.Check(rackOf(t, "/parts/r/rack/tiers/two", `{"order":2,"up":1.3,"length":1.6}`))
	if f := sample.Find(t, fs, rack.CodeRoom); f.Outcome != finding.Holds {
		t.Errorf("%s", f.Outcome)
	}
}

// A rack set 0.3 m to the right with its hull bends as one in the middle does.
func TestRackOffTheMiddle(t *testing.T) {
	_, a := rack.Check(rackOf(t))
	_, b := rack.Check(rackOf(t, "/outings/o/layouts/t/parts/r/at/right", `0.3`))
	for _, code := range []string{rack.CodeBar, rack.CodePost, rack.CodeSag, rack.CodeSupport} {
		near(t, code, sample.Find(t, b, code).Figure.Value, sample.Find(t, a, code).Figure.Value)
	}
}

// In a bend the posts of the frame that bears most take its part: 48 of 60 kg on the rear
// frame: 0.5·(48·0.8 + 10.306·0.585)/2 on each of its posts instead of 0.5·60.06/4.
func TestBusiestFrame(t *testing.T) {
	r := rackOf(t, "/loads/crate/centre/back/value", `2.95`, "/outings/o/road", `"road"`)
	_, fs := rack.Check(r)
	post := sample.Find(t, fs, rack.CodePost)
	own := 3.3031 * (3.2*0.78 + 3.04*0.38)
	near(t, "posts", post.Figure.Value, 0.5*(58.5*0.8+own/2)/2*9.80665/4.66178e-6)
	if says := post.Says.Text(r.Plan.Locale()); !strings.Contains(says, "in a hard bend") {
		t.Error(says)
	}
}

// 60 kg on two frames of two posts: 15 kg, 147.1 N at each. At the post's side 294.2 N across and 117.7
// along. M10 in C16 of 45 mm bears 2843·0.692 = 1968 N, its washer of 30 mm 4090·0.692 = 2831: √(0.1495² +
// 0.0416²) = 15.5 %. A nail 4 × 45: 750 and 239.5 N: 39.2 + 49.1 = 88.4 %. Into the end 117.7 across, of a third of
// 750: 47.1 %, and never a plain Holds. A nail 3 × 30: f_h 18.28, M_y 3.13, 674·0.692 = 467 N and 173·0.692 = 119.8:
// 63.1 + 98.2 %.
func TestJoint(t *testing.T) {
	timber := `{"shape":"bar","height":0.045,"width":0.045,"material":"c16"}`
	on := func(told string) finding.Finding {
		_, fs := rack.Check(rackOf(t, "/parts/r/rack/post", timber, "/parts/r/rack/bar", timber, "/parts/r/rack/joint", told))
		return sample.Find(t, fs, rack.CodeJoint)
	}
	// A hull whose centre lies 0.25 m aside between posts ±0.5: 3/4 of 30 kg on one, half as much again.
	_, fs := rack.Check(rackOf(t, "/parts/r/rack/post", timber, "/parts/r/rack/bar", timber, "/loads/crate/centre/right", `{"value":0.25,"plusMinus":0,"how":"weighed"}`,
		"/parts/r/rack/joint", `{"with":"bolt","diameter":0.01,"washer":0.03}`))
	near(t, "aside", sample.Find(t, fs, rack.CodeJoint).Figure.Value, 1.5*0.15515)
	for _, c := range []struct {
		told string
		want finding.Outcome
		used float64
	}{
		{`{"with":"bolt","diameter":0.01,"washer":0.03}`, finding.Holds, 0.155},
		{`{"with":"nail","diameter":0.004,"length":0.045}`, finding.Holds, 0.884},
		{`{"with":"nail","diameter":0.004,"length":0.045,"count":2}`, finding.Holds, 0.442},
		{`{"with":"nail","diameter":0.003,"length":0.03}`, finding.Fails, 1.613},
		{`{"with":"nail","diameter":0.004,"length":0.045,"endGrain":true}`, finding.Tight, 0.471},
		{`{"with":"nail","diameter":0.004}`, finding.Unknown, 0},
		{`{"with":"screw"}`, finding.Unknown, 0},
		{`{"with":"clamp","diameter":0.01}`, finding.Unknown, 0},
	} {
		f := on(c.told)
		if f.Outcome != c.want || c.used > 0 && math.Abs(f.Figure.Value-c.used) > 0.02*c.used {
			t.Errorf("%s: %s %+v", c.told, f.Outcome, f.Figure)
		}
		if f.Outcome == finding.Unknown && len(f.Needs) == 0 {
			t.Errorf("%s: asks for nothing", c.told)
		}
	}
}

// 60 kg on carpet 60·0.35 = 21 kg, on plastic 12, with a roller behind 60·(0.025 + 0.175) = 12. Uphill by 0.1 rad on carpet
// 60·(0.3483 + 0.0998) = 26.9.
func TestPush(t *testing.T) {
	near(t, "carpet", rack.Push(60, 0, plan.PadsCarpet), 21)
	near(t, "plastic", rack.Push(60, 0, plan.PadsPlastic), 12)
	near(t, "roller", rack.Push(60, 0, plan.PadsRoller), 12)
	if got := rack.Push(60, 0.1, plan.PadsCarpet); math.Abs(got-26.88) > 0.02 {
		t.Errorf("uphill %v", got)
	}
	_, fs := rack.Check(rackOf(t, "/parts/r/rack/pads", `"bare"`))
	if f := sample.Find(t, fs, rack.CodeSlide); f.Outcome != finding.Tight {
		t.Errorf("30 kg on bare bars: %+v", f)
	}
}

// The hull's bow lies 1 m before the rack's front face: the frames at 0 and 2 lie 1 and 3 m behind it. A skeg of 0.3 m
// from 2.9 lies on the rear one, a pad at 2 came over it, one at 3.5 came over none.
func TestUnder(t *testing.T) {
	for at, want := range map[string]finding.Outcome{"2.9": finding.Fails, "2": finding.Tight, "3.5": finding.Holds, "0.2": finding.Tight} {
		_, fs := rack.Check(rackOf(t, "/loads/crate/hull", `{"under":{"skeg":{"order":1,"name":"Skeg","at":`+at+`,"length":0.3,"deep":0.08}}}`))
		if f := sample.Find(t, fs, rack.CodeUnder); f.Outcome != want {
			t.Errorf("%s: %s %v", at, f.Outcome, f.Says)
		}
	}
}
