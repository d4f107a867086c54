package finish_test

import (
	"math"
	"strings"
	"testing"

	"zygonos/core/ask/finish"
	"zygonos/core/facts/norms"
	"zygonos/core/internal/sample"
	"zygonos/core/lang/finding"
	"zygonos/core/lang/quantity"
	"zygonos/core/lang/said"
	"zygonos/core/plan"
	"zygonos/core/rig"
)

func texts(s said.Sentence) string { return s.Text(quantity.Locale{}) }

// bars is a frame of two tubes 60 × 40 × 3, 2 m long, of a material.
func bars(material string) string {
	one := func(id, y string) string {
		return `"` + id + `":{"order":1,"name":"` + id + `","role":"rail","from":{"back":0,"right":` + y + `,"up":-0.05},"to":{"back":2,"right":` + y + `,"up":-0.05},
			"profile":{"shape":"tube","height":0.06,"width":0.04,"wall":0.003,"material":"` + material + `"}}`
	}
	return `{"members":{` + one("l", "-0.5") + `,` + one("r", "0.5") + `}}`
}

func resolved(t *testing.T, finishDoc string, sets ...string) *rig.Rig {
	t.Helper()
	return rig.Resolve(sample.Plan(t, append(sets, "/trailers/t/finish", finishDoc)...), "t", "o")
}

// By hand: two tubes have 2·2·0.2 = 0.8 m² outside; 0.8 and the inside 2·2·(0.2 − 4·2·0.003) = 1.504 m² for the bath. Three coats at
// 8 m² a litre with a tenth lost are 0.33 l. A deck of 2.5 × 1.4 m and 18 mm: 7 + 2·3.9·0.018 = 7.1404 m²; of boards 150 wide,
// ten of them: 7 + 2·10·2.5·0.018 + 2·1.4·0.018 = 7.9504 m².
func TestAreas(t *testing.T) {
	r := resolved(t, `{"way":"paint","coats":3,"cover":8,"perLitre":20,"tin":0.25}`, "/trailers/t/frame", bars("s235"), "/trailers/t/floor", `"ply"`, "/trailers/t/floorThick", "0.018")
	a := finish.AreasOf(r)
	if math.Abs(a.Steel-0.8) > 1e-9 || math.Abs(a.Dipped-1.504) > 1e-9 || math.Abs(a.Deck-7.1404) > 1e-9 || !a.Ferric || a.Other != "" {
		t.Errorf("%+v", a)
	}
	tins := finish.Tins(r)
	if len(tins) != 1 || math.Abs(tins[0].Litres.Value-0.33) > 1e-9 || tins[0].Tins != 2 || math.Abs(tins[0].Cost.Value-6.6) > 1e-9 {
		t.Errorf("%+v", tins)
	}
	boards := resolved(t, `{"deckBy":"oil"}`, "/trailers/t/floor", `"boards"`, "/trailers/t/floorThick", "0.018", "/trailers/t/boardWide", "0.15")
	if a := finish.AreasOf(boards); math.Abs(a.Deck-7.9504) > 1e-9 {
		t.Errorf("%v m² of boards", a.Deck)
	}
	if tins := finish.Tins(boards); len(tins) != 1 || tins[0].Coats != 2 {
		t.Errorf("%+v", tins)
	}
	if a := finish.AreasOf(resolved(t, `{}`, "/trailers/t/floor", `"mesh"`)); a.Deck != 0 {
		t.Errorf("a mesh of %v m²", a.Deck)
	}
}

// Ways over ten years: by hand the bath costs the steel's mass times its price and four times the way; what does not suit says so.
func TestWays(t *testing.T) {
	r := resolved(t, `{"way":"dip","dipPerKg":2,"dipFar":30000,"driveCost":0.5}`, "/trailers/t/frame", bars("s235"))
	mass := finish.AreasOf(r).Mass
	ways := map[string]finish.CoatWay{}
	for _, w := range finish.Ways(r) {
		ways[w.ID] = w
		if w.Ten.Value+1e-9 < w.First.Value || w.Ten.Low != nil && *w.Ten.Low > w.Ten.Value {
			t.Errorf("%s: %+v then %+v", w.ID, w.First, w.Ten)
		}
	}
	if d := ways["dip"]; math.Abs(d.First.Value-(2*mass+4*30*0.5)) > 1e-6 || d.Usual || !d.Chosen || len(d.Cannot) > 0 {
		t.Errorf("%+v", d)
	}
	if !strings.Contains(texts(ways["bare"].Cannot), "rusts") || !ways["paint"].Usual {
		t.Errorf("%+v", ways["bare"])
	}
	// salt takes zinc and paint sooner, a roof later
	ten := func(doc string) float64 {
		for _, w := range finish.Ways(resolved(t, doc, "/trailers/t/frame", bars("s235"))) {
			if w.ID == "paint" {
				return w.Ten.Value
			}
		}
		return 0
	}
	if salt, out, roof := ten(`{"salt":true}`), ten(`{}`), ten(`{"indoors":true}`); !(salt > out && out > roof) {
		t.Errorf("salt %v, outside %v, roof %v", salt, out, roof)
	}
	if len(finish.Ways(resolved(t, `{}`))) > 0 {
		t.Error("ways of no frame")
	}
}

// Dew point by the WMO's formula: 20 °C at 60 % 12.0 °C, 15 at 80 % 11.6, 30 at 50 % 18.4 (tables to a tenth).
func TestDewPoint(t *testing.T) {
	for _, c := range []struct{ air, humid, want float64 }{{20, 0.6, 12.0}, {15, 0.8, 11.6}, {30, 0.5, 18.4}, {20, 1, 20}, {0, 1, 0}} {
		if got, ok := norms.DewPoint(c.air, c.humid); !ok || math.Abs(got-c.want) > 0.06 {
			t.Errorf("%v °C at %v: %v, want %v", c.air, c.humid, got, c.want)
		}
	}
	for _, bad := range [][2]float64{{20, 0}, {20, 1.2}, {90, 0.5}, {math.NaN(), 0.5}} {
		if _, ok := norms.DewPoint(bad[0], bad[1]); ok {
			t.Errorf("%v", bad)
		}
	}
}

// Each check, held and broken.
func TestChecks(t *testing.T) {
	steel := []string{"/trailers/t/frame", bars("s235")}
	for _, c := range []struct {
		doc  string
		sets []string
		code string
		want finding.Outcome
		says string
	}{
		{`{"way":"paint"}`, steel, finish.CodeWay, finding.Holds, "Primer and enamel suits"},
		{`{"way":"bare"}`, steel, finish.CodeWay, finding.Fails, "Steel rusts"},
		{`{"way":"dip"}`, steel, finish.CodeWay, finding.Tight, "vents"},
		{`{"way":"dip"}`, []string{"/trailers/t/frame", bars("al6061")}, finish.CodeWay, finding.Fails, "bath"},
		{`{"way":"bare"}`, []string{"/trailers/t/frame", bars("al6061")}, finish.CodeWay, finding.Holds, "suits"},
		{`{"air":15,"humid":0.8,"steel":16}`, nil, finish.CodeDew, finding.Holds, "4 K over it."},
		{`{"air":15,"humid":0.8,"steel":14}`, nil, finish.CodeDew, finding.Fails, "cannot see"}, // 2.4 K over 11.6
		{`{"air":15,"humid":0.8}`, nil, finish.CodeDew, finding.Tight, "as warm as the air"},
		{`{"air":15}`, nil, finish.CodeDew, finding.Unknown, "humidity"},
		{`{"humid":0.5}`, nil, finish.CodeDew, finding.Unknown, "temperature"},
		{`{"air":8}`, nil, finish.CodeAir, finding.Fails, "cure"},
		{`{"air":8,"least":5,"humid":0.7,"recoat":43200}`, nil, finish.CodeAir, finding.Holds, "27.6 h"}, // 12 h·2^1.2
		{`{"air":12}`, nil, finish.CodeAir, finding.Tight, "not entered"},
		{`{"air":12,"least":5}`, nil, finish.CodeAir, finding.Tight, "humidity"},
		{`{"air":15,"humid":0.9,"least":5}`, nil, finish.CodeAir, finding.Fails, "too damp"},
		{`{"deckBy":"treated"}`, nil, finish.CodeDeck, finding.Tight, "stainless"},
	} {
		var got *finding.Finding
		fs := finish.Check(resolved(t, c.doc, c.sets...))
		for i := range fs {
			if fs[i].Code == c.code {
				got = &fs[i]
			}
		}
		if got == nil || got.Outcome != c.want || !strings.Contains(texts(got.Says), c.says) {
			t.Errorf("%s %s: %+v", c.code, c.doc, got)
		}
	}
	if len(finish.Check(rig.Resolve(sample.Plan(t), "t", "o"))) > 0 {
		t.Error("a trailer without a finish is judged")
	}
}

// A forecast as people write it, and every line that cannot be used named; nothing of it is lost.
func TestForecast(t *testing.T) {
	hours, wrong := finish.ReadWeather(strings.Join([]string{
		"2026-06-01", "9-12 16C 70% dry", "12-13:30, 61 F; 65 %", "2026-06-02 8 12C 60% 0.4mm", "",
		"2026-05-30 9-12 16C 70%", "2026-06-02 14-13 16C 70%", "2026-06-02 9-25 16C 70%", "2026-06-02 9 70%", "2026-06-02 9 16C", "2026-06-02 9 16C 170%", "2026-06-02 9 16C 70% windy",
	}, "\n"), "2026-05-31")
	if len(hours) != 3 || hours[1].From != 12 || hours[1].To != 13.5 || math.Abs(hours[1].Air-16.11) > 0.01 || hours[1].On != "2026-06-01" || !hours[2].Rain || hours[2].To != 9 {
		t.Errorf("%+v", hours)
	}
	want := []string{"is past", "between 0 and 24", "between 0 and 24", "temperature", "humidity", "humidity", "windy"}
	if len(wrong) != len(want) {
		t.Fatalf("%+v", wrong)
	}
	for i, w := range want {
		if !strings.Contains(wrong[i].Says, w) || wrong[i].Line != i+6 {
			t.Errorf("%+v, want %s", wrong[i], w)
		}
	}
	if _, wrong := finish.ReadWeather("9-12 16C 70%", ""); len(wrong) != 1 || !strings.Contains(wrong[0].Says, "No day") {
		t.Errorf("%+v", wrong)
	}
}

// A stretch over midnight is one; it must be as long as the coat and half of its recoat time, longer in the cold: at 20 °C and
// 12 h to the next coat 3 + 6 = 9 h, at 10 °C 3 + 12 = 15 h.
func TestWindows(t *testing.T) {
	at := func(temp string) *finish.Weather {
		recoat := quantity.Time(12 * 3600)
		return finish.WeatherOf(&plan.Finish{Way: plan.FinishPaint, Recoat: &recoat, Forecast: "2026-06-01 20-24 " + temp + " 60%\n2026-06-02 0-6 " + temp + " 60%\n6-8 " + temp + " 60% rain"}, "2026-06-01")
	}
	warm, cold := at("20C"), at("10C")
	if len(warm.Windows) != 1 || warm.Windows[0].Hours != 10 || !warm.Windows[0].Long || warm.Windows[0].From != "2026-06-01T20:00" || warm.Windows[0].To != "2026-06-02T06:00" {
		t.Errorf("%+v", warm)
	}
	if len(cold.Windows) != 1 || cold.Windows[0].Long || math.Abs(cold.Needs-15) > 1e-9 {
		t.Errorf("%+v", cold)
	}
	if w := finish.WeatherOf(&plan.Finish{Forecast: "2026-06-01 9-20 16C 95%"}, ""); len(w.Windows) != 0 || !strings.Contains(texts(w.Hours[0].Why), "wetter") {
		t.Errorf("%+v", w)
	}
	if w := finish.WeatherOf(nil, ""); len(w.Hours) != 0 || len(w.Says) != 0 {
		t.Errorf("%+v", w)
	}
}

// Whatever is pasted, it answers.
func FuzzForecast(f *testing.F) {
	f.Add("2026-06-01 9-12 16C 70%")
	f.Fuzz(func(_ *testing.T, s string) { finish.WeatherOf(&plan.Finish{Forecast: s}, "2026-06-01") })
}
