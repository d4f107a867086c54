package plan_test

import (
	"bytes"
	"encoding/json"
	"errors"
	"fmt"
	"io/fs"
	"math"
	"strings"
	"testing"

	"zygonos/core/lang/finding"
	"zygonos/core/lang/quantity"
	"zygonos/core/plan"
	"zygonos/demo"
)

func demoPlan(t testing.TB, name string) (*plan.Plan, []byte) {
	t.Helper()
	data, err := demo.Files.ReadFile(name + ".zygonos.json")
	if err != nil {
		t.Fatal(err)
	}
	p, err := plan.Read(data)
	if err != nil {
		t.Fatal(err)
	}
	return p, data
}

// What goes out as a plan comes back in unchanged.
func TestRoundTrip(t *testing.T) {
	names, _ := fs.Glob(demo.Files, "*.zygonos.json")
	if len(names) < 2 {
		t.Fatal("the demo plans are missing")
	}
	for _, name := range names {
		p, _ := demoPlan(t, strings.TrimSuffix(name, ".zygonos.json"))
		first, err := plan.Write(p)
		if err != nil {
			t.Fatal(err)
		}
		again, err := plan.Read(first)
		if err != nil {
			t.Fatal(err)
		}
		second, _ := plan.Write(again)
		if !bytes.Equal(first, second) {
			t.Errorf("%s: written, read and written again it differs", name)
		}
		if problems := plan.Clean(again); len(problems) != 0 {
			t.Errorf("%s: %v", name, problems)
		}
	}
}

func TestReadRefuses(t *testing.T) {
	minimal := `{"format":"zygonos-plan","version":1,"name":"x","region":"uk","units":"metric","loads":{},"towVehicles":{},"trailers":{},"parts":{},"outings":{}%s}`
	for _, c := range []struct{ name, doc, path, word string }{
		{"not JSON", `{"format":`, "", "not readable JSON"},
		{"a list", `[]`, "", "holds no plan"},
		{"other format", `{"format":"drawing","version":1}`, "/format", "not a plan file"},
		{"no version", `{"format":"zygonos-plan"}`, "/version", "whole number"},
		{"newer", `{"format":"zygonos-plan","version":99}`, "/version", "newer program"},
		{"version nought", `{"format":"zygonos-plan","version":0}`, "/version", "from 1 on"},
		{"unknown field", fmt.Sprintf(minimal, `,"payload":3`), "/payload", "no such field"},
		{"unknown nested field", fmt.Sprintf(minimal, `,"chosen":"","notes":"","doubts":{},"ballSchool":""`) + " {}", "", "after the end"},
		{"text for a number", strings.Replace(fmt.Sprintf(minimal, ""), `"loads":{}`, `"loads":{"a":{"order":1,"name":"x","mass":{"value":"12 kg","how":"guessed"},"size":{},"centre":{}}}`, 1), "/loads/a/mass/value", "must be a number"},
		{"number out of size", strings.Replace(fmt.Sprintf(minimal, ""), `"loads":{}`, `"loads":{"a":{"order":1,"name":"x","mass":{"value":1e999,"how":"guessed"},"size":{},"centre":{}}}`, 1), "/loads/a/mass/value", "ordinary size"},
		{"NaN", strings.Replace(fmt.Sprintf(minimal, ""), `"version":1`, `"version":NaN`, 1), "", "not readable JSON"},
		{"fraction for a whole", strings.Replace(fmt.Sprintf(minimal, ""), `"loads":{}`, `"loads":{"a":{"order":1.5,"name":"x","size":{},"centre":{}}}`, 1), "/loads/a/order", "whole number"},
		{"list for an object", strings.Replace(fmt.Sprintf(minimal, ""), `"loads":{}`, `"loads":[]`, 1), "/loads", "must be an object"},
		{"slash in a name", fmt.Sprintf(minimal, `,"a/b~":1`), "/a~1b~0", "no such field"},
	} {
		_, err := plan.Read([]byte(c.doc))
		var se *plan.ShapeError
		if !errors.As(err, &se) {
			t.Errorf("%s: got %v", c.name, err)
			continue
		}
		if se.Path != c.path || !strings.Contains(se.Reason, c.word) {
			t.Errorf("%s: got %q: %q", c.name, se.Path, se.Reason)
		}
	}
	if _, err := plan.Read(make([]byte, plan.MaxBytes+1)); err == nil || !strings.Contains(err.Error(), "larger") {
		t.Errorf("a file too large: %v", err)
	}
	if _, err := plan.Read([]byte("\xef\xbb\xbf" + fmt.Sprintf(minimal, ""))); err != nil {
		t.Errorf("a byte order mark: %v", err)
	}
}

// Each value that makes no sense is named, taken out, and the rest stays.
func TestClean(t *testing.T) {
	for _, c := range []struct{ set, value, path, word string }{
		{"/loads/skiff/mass/value", `0`, "/loads/skiff/mass", "must be more than zero, not 0 kg"},
		{"/loads/two-seater/contents/fuel/mass/value", `0`, "/loads/two-seater/contents/fuel/mass", "more than zero"},
		{"/trailers/grey-flatbed/empty/axle/mass", `0`, "/trailers/grey-flatbed/empty/axle/mass", "more than zero"},
		{"/loads/skiff/mass/value", `-3`, "/loads/skiff/mass", "cannot be less than zero: −3 kg"},
		{"/loads/skiff/mass/value", `1e8`, "/loads/skiff/mass", "must lie between"},
		{"/loads/skiff/mass/plusMinus", `-1`, "/loads/skiff/mass/plusMinus", "cannot be less"},
		{"/loads/skiff/size/length/value", `0`, "/loads/skiff/size/length", "more than zero"},
		{"/loads/two-seater/contents/fuel/mass/value", `-1`, "/loads/two-seater/contents/fuel/mass", "cannot be less"},
		{"/trailers/grey-flatbed/track/value", `0`, "/trailers/grey-flatbed/track", "more than zero"},
		{"/trailers/grey-flatbed/couplingToAxle/value", `-0.2`, "/trailers/grey-flatbed/couplingToAxle", "behind the ball"},
		{"/trailers/grey-flatbed/tyreIndex", `12`, "/trailers/grey-flatbed/tyreIndex", "between 50 and 126"},
		{"/trailers/grey-flatbed/brakes", `"anchor"`, "/trailers/grey-flatbed/brakes", "“anchor” is not known here"},
		{"/trailers/grey-flatbed/axles", `9`, "/trailers/grey-flatbed/axles", "between 0 and 3, not 9"},
		{"/trailers/grey-flatbed/label/value", `0`, "/trailers/grey-flatbed/label/value", "more than zero"},
		{"/trailers/grey-flatbed/empty/ball/mass", `-4`, "/trailers/grey-flatbed/empty/ball/mass", "cannot be less"},
		{"/trailers/grey-flatbed/axleMoves/max", `1`, "/trailers/grey-flatbed/axleMoves", "end behind its beginning"},
		{"/towVehicles/crew-pickup/ballSize", `2`, "/towVehicles/crew-pickup/ballSize", "must lie between"},
		{"/outings/boat-day/vehicle", `"cart"`, "/outings/boat-day/vehicle", "not in the plan"},
		{"/outings/boat-day/speed", `900`, "/outings/boat-day/speed", "must lie between"},
		{"/outings/boat-day/layouts/grey-flatbed/placements/skiff/turn", `45`, "/outings/boat-day/layouts/grey-flatbed/placements/skiff/turn", "0, 90, 180 or 270"},
		{"/outings/boat-day/layouts/grey-flatbed/placements/ghost", `{"on":"deck","at":{"back":0}}`, "/outings/boat-day/layouts/grey-flatbed/placements/ghost", "load is not in the plan"},
		{"/outings/boat-day/layouts/grey-flatbed/placements/skiff", `{"on":"load","id":"skiff","at":{"back":0}}`, "/outings/boat-day/layouts/grey-flatbed/placements/skiff/on", "put on the deck"},
		{"/outings/boat-day/layouts/grey-flatbed/parts/anvil", `{"at":{"back":0}}`, "/outings/boat-day/layouts/grey-flatbed/parts/anvil", "part is not in the plan"},
		{"/outings/boat-day/layouts/grey-flatbed/readings", `{"r":{"order":1,"what":"moon","mass":4}}`, "/outings/boat-day/layouts/grey-flatbed/readings/r/what", "ball, the axle, the whole, or one wheel"},
		{"/loads/Bad Id", `{"order":1,"name":"x","size":{},"centre":{}}`, "/loads/Bad Id", "small letters"},
		{"/doubts", `{"weighed":7}`, "/doubts/weighed", "between 0 % and 100 %."},
		{"/region", `"moon"`, "/region", "must be one of"},
		{"/units", `"stone"`, "/units", "metric or imperial"},
		{"/chosen", `"none"`, "/chosen", "not in the plan"},
		{"/loads/pea-gravel/bulk/by", `"shovel"`, "/loads/pea-gravel/bulk/by", "by volume is assumed"},
		{"/loads/pea-gravel/bulk/wet", `"damp"`, "/loads/pea-gravel/bulk/wet", "dry, wet, or not known"},
		{"/loads/pea-gravel/bulk/heap/value", `-1`, "/loads/pea-gravel/bulk/heap", "less than zero: −1 m³"},
		{"/loads/pea-gravel/tank", `{"fluid":"water"}`, "/loads/pea-gravel", "one of them"},
		{"/loads/skiff/tank", `{"fluid":"water","fill":1.2}`, "/loads/skiff/tank/fill", "between 0 % and 100 %"},
		{"/loads/skiff/pieces", `{"material":"plywood","count":-1,"length":1,"width":1,"thickness":1}`, "/loads/skiff/pieces/count", "number of pieces cannot be less than zero"},
		{"/loads/skiff/hull", `{"apart":{"value":0,"how":"weighed"}}`, "/loads/skiff/hull/apart", "more than zero"},
		{"/loads/two-seater/rolling", `{"wheelbase":{"value":-2,"how":"weighed"}}`, "/loads/two-seater/rolling/wheelbase", "less than zero"},
		{"/wants/shed/what", `"fly"`, "/wants/shed/what", "not known here"},
		{"/wants/carry-boats/outing", `"moon-day"`, "/wants/carry-boats/outing", "not in the plan"},
		{"/wants/rings/count", `-3`, "/wants/rings/count", "cannot be less"},
		{"/wants/rings/date", `"May 5"`, "/wants/rings/date", "year-month-day"},
		{"/wants/rings/money", `-5`, "/wants/rings/money", "less than zero: −£5"},
		{"/trailers/grey-flatbed/floor", `"lava"`, "/trailers/grey-flatbed/floor", "not known here"},
		{"/trailers/grey-flatbed/anchors/rings/count", `-1`, "/trailers/grey-flatbed/anchors/rings/count", "cannot be less"},
		{"/trailers/grey-flatbed/fitted", `{"ghost":{"at":{"back":0}}}`, "/trailers/grey-flatbed/fitted/ghost", "part is not in the plan"},
		{"/trailers/grey-flatbed/deal", `{"price":-1}`, "/trailers/grey-flatbed/deal/price", "less than zero"},
		{"/trailers/grey-flatbed/deal", `{"tax":3}`, "/trailers/grey-flatbed/deal/tax", "between 0 % and 100 %"},
		{"/trailers/grey-flatbed/deal", `{"inspected":{"tyres":"shiny"}}`, "/trailers/grey-flatbed/deal/inspected/tyres", "good, worn or bad"},
		{"/trailers/grey-flatbed/deal", `{"buys":{"x":{"order":1,"name":"x","hours":-3600}}}`, "/trailers/grey-flatbed/deal/buys/x/hours", "less than zero: −1 h"},
		{"/towVehicles/valley-estate/hitchD", `0`, "/towVehicles/valley-estate/hitchD", "more than zero"},
		{"/outings/boat-day/road", `"rails"`, "/outings/boat-day/road", "not known here"},
		{"/name", `"` + strings.Repeat("x", 300) + `"`, "/name", "longer than 200"},
	} {
		p, _ := demoPlan(t, "skarrow-hut")
		var value any
		if err := json.Unmarshal([]byte(c.value), &value); err != nil {
			t.Fatal(err)
		}
		bad, err := plan.Apply(p, []finding.Op{{Op: "add", Path: c.set, Value: value}})
		if err != nil {
			t.Fatalf("%s: %v", c.set, err)
		}
		problems := plan.Clean(bad)
		if len(problems) != 1 {
			t.Errorf("%s: got %d problems %v", c.set, len(problems), problems)
			continue
		}
		if text := problems[0].Says.Text(bad.Locale()); problems[0].Path != c.path || !strings.Contains(text, c.word) {
			t.Errorf("%s: got %q: %q", c.set, problems[0].Path, text)
		}
		if again := plan.Clean(bad); len(again) != 0 {
			t.Errorf("%s: cleaned twice it still says %v", c.set, again)
		}
	}
}

func TestCleanNotFinite(t *testing.T) {
	p, _ := demoPlan(t, "skarrow-hut")
	l := p.Loads["skiff"]
	l.Mass = &plan.MassEstimate{Value: quantity.Mass(math.NaN())}
	l.Centre.Up = &plan.LengthEstimate{Value: quantity.Length(math.Inf(1))}
	p.Loads["skiff"] = l
	if problems := plan.Clean(p); len(problems) != 2 || p.Loads["skiff"].Mass != nil || p.Loads["skiff"].Centre.Up != nil {
		t.Errorf("got %v", problems)
	}
}

func TestApply(t *testing.T) {
	p, _ := demoPlan(t, "skarrow-hut")
	back := "/outings/gravel-day/layouts/grey-flatbed/placements/pea-gravel/at/back"
	for _, c := range []struct {
		name  string
		patch []finding.Op
		want  string // part of the error; "" is success
	}{
		{"replace behind its test", []finding.Op{{Op: "test", Path: back, Value: 1.09}, {Op: "replace", Path: back, Value: 0.9}}, ""},
		{"a stale test", []finding.Op{{Op: "test", Path: back, Value: 1.2}, {Op: "replace", Path: back, Value: 0.9}}, "another value"},
		{"replace nothing", []finding.Op{{Op: "replace", Path: "/loads/none/name", Value: "x"}}, `no "none"`},
		{"remove", []finding.Op{{Op: "remove", Path: "/outings/gravel-day/layouts/grey-flatbed/placements/tool-chest"}}, ""},
		{"remove nothing", []finding.Op{{Op: "remove", Path: "/loads/none"}}, `no "none"`},
		{"unknown operation", []finding.Op{{Op: "move", Path: "/name", Value: "x"}}, "cannot be done"},
		{"no pointer", []finding.Op{{Op: "add", Path: "name", Value: "x"}}, "begin with /"},
		{"through a text", []finding.Op{{Op: "add", Path: "/name/x/y", Value: "x"}}, "nothing under"},
		{"wrong kind", []finding.Op{{Op: "add", Path: "/loads", Value: "x"}}, "cannot unmarshal"},
	} {
		before, _ := plan.Write(p)
		_, err := plan.Apply(p, c.patch)
		if (c.want == "") != (err == nil) || err != nil && !strings.Contains(err.Error(), c.want) {
			t.Errorf("%s: got %v", c.name, err)
		}
		if after, _ := plan.Write(p); !bytes.Equal(before, after) {
			t.Errorf("%s: the plan itself was changed", c.name)
		}
	}
	out, err := plan.Apply(p, []finding.Op{{Op: "replace", Path: back, Value: 0.9}})
	if err != nil || out.Outings["gravel-day"].Layouts["grey-flatbed"].Placements["pea-gravel"].At.Back != 0.9 {
		t.Errorf("the patch did not arrive: %v", err)
	}
}

func TestEstimates(t *testing.T) {
	p := &plan.Plan{}
	kg := func(v quantity.Mass) *quantity.Mass { return &v }
	share := 0.1
	for _, c := range []struct {
		e        plan.MassEstimate
		low, top quantity.Mass
	}{
		{plan.MassEstimate{Value: 100, How: plan.Weighed}, 98, 102},
		{plan.MassEstimate{Value: 100, How: plan.Guessed}, 75, 125},
		{plan.MassEstimate{Value: 100, How: "heard"}, 75, 125}, // an unknown provenance is a guess
		{plan.MassEstimate{Value: 12, PlusMinus: kg(2), How: plan.Guessed}, 10, 14},
		{plan.MassEstimate{Value: 50, Relative: &share, How: plan.Plate}, 45, 55},
		{plan.MassEstimate{Value: 3, PlusMinus: kg(5), How: plan.Guessed}, 0, 8}, // never less than nothing
	} {
		r := c.e.Range(p)
		if math.Abs(float64(r.Low-c.low)) > 1e-9 || math.Abs(float64(r.High-c.top)) > 1e-9 {
			t.Errorf("%+v: got %v", c.e, r)
		}
	}
	p.Doubts = map[plan.How]float64{plan.Weighed: 0.005}
	if r := (&plan.MassEstimate{Value: 200, How: plan.Weighed}).Range(p); math.Abs(float64(r.High)-201) > 1e-9 {
		t.Errorf("the plan's own plus-minus: got %v", r)
	}
	if r := (&plan.LengthEstimate{Value: 2, How: plan.Weighed}).Range(); math.Abs(float64(r.High)-2.005) > 1e-9 {
		t.Errorf("a taped length: got %v", r)
	}
}

// stays asks that a cleaned plan is clean: cleaned again it is the same, and says of it no more than that a zero
// which cannot be left out must be more.
func stays(t *testing.T, what string, p *plan.Plan) {
	t.Helper()
	was, err := plan.Write(p)
	if err != nil {
		t.Fatal(err)
	}
	for _, again := range plan.Clean(p) {
		if says := again.Says.Text(p.Locale()); !strings.Contains(says, "must be more than zero") {
			t.Errorf("%s: cleaned twice it still says %q", what, says)
		}
	}
	if now, err := plan.Write(p); err != nil || !bytes.Equal(was, now) {
		t.Errorf("%s: cleaned twice it is another plan (%v)", what, err)
	}
}

// What is cleaned is clean, with any number of a plan at zero, below it or beyond sense, or left out, and no sentence
// lacks the field's name.
func TestCleanedTwice(t *testing.T) {
	tried := 0
	for _, name := range []string{"skarrow-hut", "ostrel-lock", "heather-hives"} {
		p, _ := demoPlan(t, name)
		pack := finding.Op{Op: "add", Path: "/loads/pack", Value: map[string]any{"order": 90, "name": "Pack", "size": map[string]any{}, "centre": map[string]any{},
			"pieces": map[string]any{"material": "plywood", "count": 2, "length": 2, "width": 1, "thickness": 0.02}}}
		p, err := plan.Apply(p, []finding.Op{pack})
		if err != nil {
			t.Fatal(err)
		}
		var paths []string
		leaves(doc(t, p), "", &paths)
		ways := []finding.Op{{Op: "replace", Value: 0}, {Op: "replace", Value: -1}, {Op: "replace", Value: 1e9}, {Op: "remove"}}
		for i, path := range paths {
			op := ways[i%4]
			op.Path = path
			q, err := plan.Apply(p, []finding.Op{op})
			if err != nil {
				continue // no number, or what a document must have
			}
			tried++
			for _, x := range plan.Clean(q) {
				if says := x.Says.Text(p.Locale()); strings.Contains(says, "The  ") || strings.Contains(says, "This  ") {
					t.Errorf("%s %s %v: %q names no field", name, path, op.Value, says)
				}
			}
			stays(t, fmt.Sprint(name, " ", path, " ", op.Value), q)
		}
	}
	if tried < 800 {
		t.Errorf("only %d were tried", tried)
	}
}

func FuzzRead(f *testing.F) {
	for _, name := range []string{"skarrow-hut", "heather-hives"} {
		_, data := demoPlan(f, name)
		f.Add(data)
	}
	for _, s := range []string{`{}`, `null`, `{"format":"zygonos-plan","version":1}`, `{"format":"zygonos-plan","version":1,"loads":{"a":null}}`,
		`{"format":"zygonos-plan","version":1,"region":"eu","units":"imperial","trailers":{"t":{"order":1,"name":"<script>","empty":{}}},"outings":{"o":{"order":0,"name":"=cmd","layouts":{"t":{"placements":{}}}}}}`} {
		f.Add([]byte(s))
	}
	f.Fuzz(func(t *testing.T, data []byte) {
		p, err := plan.Read(data)
		if err != nil {
			var se *plan.ShapeError
			if !errors.As(err, &se) || se.Reason == "" {
				t.Fatalf("refused without a reason: %v", err)
			}
			return
		}
		plan.Clean(p)
		stays(t, "read", p)
		out, err := plan.Write(p)
		if err != nil {
			t.Fatal(err)
		}
		if _, err := plan.Read(out); err != nil {
			t.Fatalf("what was written cannot be read: %v", err)
		}
	})
}

// A layout is as it stood when neither axle, parts nor places differ; pins and
// what may stay at home make no difference.
func TestLayoutIs(t *testing.T) {
	at := quantity.Length(2.8)
	other := quantity.Length(2.9)
	base := func() plan.Layout {
		return plan.Layout{AxleAt: &at, Parts: map[string]plan.PartOn{"r": {At: plan.Spot{Back: 1}}}, Placements: map[string]plan.Placement{"a": {On: plan.OnDeck, At: plan.Spot{Back: 0.5}}}}
	}
	same := func() *plan.Stood {
		l := base()
		v := at
		return &plan.Stood{AxleAt: &v, Parts: l.Parts, Placements: l.Placements}
	}
	l := base()
	if !l.Is(nil) || !l.Is(same()) {
		t.Error("as it stood, and told otherwise")
	}
	p := l.Placements["a"]
	p.Pinned, p.Optional = true, true
	l.Placements["a"] = p
	if !l.Is(same()) {
		t.Error("a pin moves nothing")
	}
	for name, change := range map[string]func(*plan.Layout){
		"axle":       func(l *plan.Layout) { l.AxleAt = &other },
		"axle unset": func(l *plan.Layout) { l.AxleAt = nil },
		"part":       func(l *plan.Layout) { l.Parts = nil },
		"moved": func(l *plan.Layout) {
			l.Placements = map[string]plan.Placement{"a": {On: plan.OnDeck, At: plan.Spot{Back: 0.51}}}
		},
		"turned": func(l *plan.Layout) {
			l.Placements = map[string]plan.Placement{"a": {On: plan.OnDeck, At: plan.Spot{Back: 0.5}, Turn: 90}}
		},
		"left at home": func(l *plan.Layout) { l.Placements = map[string]plan.Placement{} },
	} {
		l := base()
		change(&l)
		if l.Is(same()) {
			t.Errorf("%s: told as it stood", name)
		}
	}
}

func TestVolumeRange(t *testing.T) {
	half := 0.5
	d := quantity.Volume(0.02)
	for _, c := range []struct {
		e         plan.VolumeEstimate
		low, high float64
	}{
		{plan.VolumeEstimate{Value: 2, How: plan.Weighed}, 1.9, 2.1},
		{plan.VolumeEstimate{Value: 2, How: plan.Guessed}, 1.5, 2.5},
		{plan.VolumeEstimate{Value: 2, How: "by eye"}, 1.5, 2.5},
		{plan.VolumeEstimate{Value: 2, How: plan.Plate, PlusMinus: &d}, 1.98, 2.02},
		{plan.VolumeEstimate{Value: 2, How: plan.Plate, Relative: &half}, 1, 3},
		{plan.VolumeEstimate{Value: 0.01, PlusMinus: &d}, 0, 0.03},
	} {
		if r := c.e.Range(); math.Abs(r.Low-c.low) > 1e-12 || math.Abs(r.High-c.high) > 1e-12 || r.Nominal != float64(c.e.Value) {
			t.Errorf("%+v: %+v", c.e, r)
		}
	}
}

// A reading's own layout is cleaned as the layout is.
func TestCleanStood(t *testing.T) {
	p, _ := demoPlan(t, "skarrow-hut")
	bad, err := plan.Apply(p, []finding.Op{{Op: "add", Path: "/outings/boat-day/layouts/grey-flatbed/readings", Value: map[string]any{
		"r": map[string]any{"order": 1, "what": "left", "mass": 200, "stood": map[string]any{"placements": map[string]any{"ghost": map[string]any{"on": "deck", "at": map[string]any{"back": 0}}}}}}}})
	if err != nil {
		t.Fatal(err)
	}
	problems := plan.Clean(bad)
	if len(problems) != 1 || !strings.HasSuffix(problems[0].Path, "/readings/r/stood/placements/ghost") {
		t.Errorf("%v", problems)
	}
	if len(bad.Outings["boat-day"].Layouts["grey-flatbed"].Readings["r"].Stood.Placements) != 0 {
		t.Error("the ghost stands")
	}
}
