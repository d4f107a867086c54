package fit_test

import (
	"math"
	"strings"
	"testing"

	"zygonos/core/ask/fit"
	"zygonos/core/internal/sample"
	"zygonos/core/lang/finding"
	"zygonos/core/rig"
)

// The sample is 0.10 + 1.0 + 2.5 + 0.08 = 3.68 m long and 1.77 m wide over its wheels.
const deckHeight, sides = "/trailers/t/deckHeight", "/trailers/t/sideHeight"

func TestWants(t *testing.T) {
	h := []string{deckHeight, `{"value":0.6,"how":"weighed"}`, sides, `0.35`}
	with := func(more ...string) []string { return append(append([]string{}, h...), more...) }
	bay := func(l, w, hi string) string {
		return `{"order":1,"what":"storage","size":{"length":{"value":` + l + `,"how":"weighed"},"width":{"value":` + w + `,"how":"weighed"},"height":{"value":` + hi + `,"how":"weighed"}}}`
	}
	rack := `{"order":1,"name":"Rack","kind":"rack","mass":{"value":40,"how":"weighed"},"size":{"height":{"value":1.2,"how":"weighed"}},"centre":{},"undo":"`
	for _, c := range []struct {
		name, want, outcome, says string
		sets                      []string
	}{
		{"bay fits", bay("3.7", "1.8", "1"), "holds", "fits", h},
		{"bay short", bay("3.6", "1.8", "1"), "fails", "80 mm too long", h},
		{"turned round", bay("1.8", "3.7", "1"), "holds", "fits", h},
		{"bay low", bay("4", "2", "0.9"), "fails", "50 mm too high", h},
		{"on its edge", bay("4", "1", "2"), "holds", "on its edge", with("/trailers/t/onEdge", `true`)},
		{"not on its edge", bay("4", "1", "2"), "fails", "770 mm too wide", h},
		{"folded", bay("2", "1.8", "1.5"), "holds", "fits", with("/trailers/t/folded", `{"length":{"value":1.9,"how":"maker"},"width":{"value":1.7,"how":"maker"},"height":{"value":0.7,"how":"maker"}}`)},
		{"height not known", bay("4", "2", "2"), "unknown", "deck's height", nil},
		{"deck's width not told", bay("4", "2", "2.2"), "unknown", "deck's width", with("/trailers/t/deckWidth", "-")},
		{"deck's width not told, width over all is", bay("4", "2", "2.2"), "holds", "fits", with("/trailers/t/deckWidth", "-", "/trailers/t/widthOverAll", `{"value":1.8,"how":"weighed"}`)},
		{"bay not told", `{"order":1,"what":"storage"}`, "unknown", "bay's length", h},
		{"rack taken off", bay("3.7", "1.8", "1"), "holds", "fits", with("/parts/r", rack+`pins"}`, "/trailers/t/fitted", `{"r":{"at":{"back":0}}}`)},

		{"sheet too wide", `{"order":1,"what":"sheet","size":{"length":{"value":2.44,"how":"weighed"},"width":{"value":1.5,"how":"weighed"}}}`, "fails", "between the sides", h},
		{"sheet", `{"order":1,"what":"sheet"}`, "holds", "lies flat", h},
		{"sheet hangs out", `{"order":1,"what":"sheet","size":{"length":{"value":3,"how":"weighed"},"width":{"value":1.22,"how":"weighed"}}}`, "tight", "500 mm", with("/trailers/t/tail", `"none"`)},
		{"sheet against the gate", `{"order":1,"what":"sheet","size":{"length":{"value":3,"how":"weighed"},"width":{"value":1.22,"how":"weighed"}}}`, "fails", "does not close", with("/trailers/t/tail", `"gate"`)},

		{"rack on pins", `{"order":1,"what":"racks-off"}`, "holds", "pins", []string{"/parts/r", rack + `pins"}`, "/trailers/t/fitted", `{"r":{"at":{"back":0}}}`}},
		{"rack bolted", `{"order":1,"what":"racks-off"}`, "fails", "spanner", []string{"/parts/r", rack + `bolts"}`, "/trailers/t/fitted", `{"r":{"at":{"back":0}}}`}},
		{"no rack", `{"order":1,"what":"racks-off"}`, "holds", "No rack", nil},

		{"fast enough", `{"order":1,"what":"road","speed":25}`, "holds", "140 km/h", []string{"/trailers/t/tyreText", `"145/80 R13 84N"`}},
		{"too slow", `{"order":1,"what":"road","speed":25}`, "fails", "80 km/h", []string{"/trailers/t/tyreSymbol", `"F"`}},
		{"small wheels, far", `{"order":1,"what":"road","speed":25,"distance":200000}`, "tight", "run hot", []string{"/trailers/t/tyreText", `"84N"`, "/trailers/t/wheelDiameter", `0.42`}},
		{"wheels not told, far", `{"order":1,"what":"road","speed":25,"distance":200000}`, "tight", "enter the tyre", []string{"/trailers/t/tyreText", `"84N"`}},
		{"letter not known", `{"order":1,"what":"road","speed":25}`, "unknown", "speed letter", nil},

		// The crate of 400 kg is 1 m long: lifted whole.
		{"too heavy", `{"order":1,"what":"alone"}`, "fails", "400 kg at a lift", nil},
		{"half at a time", `{"order":1,"what":"alone","mass":40}`, "tight", "30 kg at a lift", []string{"/loads/crate/size/length/value", `3`, "/loads/crate/mass/value", `60`}},
		{"it rolls", `{"order":1,"what":"alone"}`, "holds", "nothing to lift", []string{"/loads/crate/kind", `"quad"`}},
		{"not weighed", `{"order":1,"what":"alone"}`, "unknown", "the weight of Crate", []string{"/loads/crate/mass", "-", "/loads/crate/kind", `"other"`}},
		{"may be heavier", `{"order":1,"what":"alone"}`, "tight", "may be 26 kg", []string{"/loads/crate/mass", `{"value":21,"how":"guessed"}`}},
		{"too high", `{"order":1,"what":"alone","height":0.5}`, "fails", "high", []string{"/loads/crate/mass/value", `10`, deckHeight, `{"value":0.6,"how":"weighed"}`}},

		{"floor closed", `{"order":1,"what":"floor"}`, "holds", "closed", []string{"/trailers/t/floor", `"ply"`}},
		{"floor open", `{"order":1,"what":"floor"}`, "fails", "open", []string{"/trailers/t/floor", `"mesh"`}},
		{"floor boards", `{"order":1,"what":"floor"}`, "tight", "gaps", []string{"/trailers/t/floor", `"boards"`}},
		{"floor?", `{"order":1,"what":"floor"}`, "unknown", "made of", nil},
		{"flat ramp", `{"order":1,"what":"flat-ramp"}`, "holds", "flat", []string{"/trailers/t/tail", `"flat-ramp"`}},
		{"ramp up", `{"order":1,"what":"flat-ramp"}`, "fails", "wind", []string{"/trailers/t/tail", `"ramp"`}},
		{"anchors", `{"order":1,"what":"anchors","count":6}`, "holds", "6 tie-down", []string{"/trailers/t/anchors", `{"a":{"order":1,"kind":"ring-welded","count":4},"b":{"order":2,"kind":"track","count":2}}`}},
		{"pockets are none", `{"order":1,"what":"anchors","count":4}`, "fails", "6 stake pockets", []string{"/trailers/t/anchors", `{"a":{"order":1,"kind":"pocket","count":6},"b":{"order":2,"kind":"ring-ply","count":2}}`}},

		{"budget", `{"order":1,"what":"budget","money":1000}`, "holds", "£900 of £1000", []string{"/trailers/t/deal", `{"price":900}`}},
		{"over", `{"order":1,"what":"budget","money":1000}`, "fails", "£1050", []string{"/trailers/t/deal", `{"price":900,"office":150}`}},
		{"at risk", `{"order":1,"what":"budget","money":1000}`, "tight", "£200 more", []string{"/trailers/t/deal", `{"price":900,"papersRisk":200}`, "/trailers/t/papers", `"missing"`}},
		{"one without a price", `{"order":1,"what":"budget","money":1000}`, "unknown", "£900 of £1000 before it is on the road. 1 must-buy has no price yet.", []string{"/trailers/t/deal", `{"price":900,"buys":{"w":{"order":1,"name":"Wheel"}}}`}},
		{"over without it", `{"order":1,"what":"budget","money":800}`, "fails", "1 must-buy has no price yet.", []string{"/trailers/t/deal", `{"price":900,"buys":{"w":{"order":1,"name":"Wheel"}}}`}},
		{"no price", `{"order":1,"what":"budget","money":1000}`, "unknown", "price", nil},
		{"skills", `{"order":1,"what":"skills","skills":{"bolt":true}}`, "fails", "welding", []string{"/trailers/t/comes", `"own"`}},
		{"hours", `{"order":1,"what":"hours","hours":36000}`, "fails", "12 h", []string{"/trailers/t/deal", `{"hours":43200}`}},
		{"too late", `{"order":1,"what":"hours","date":"2026-05-01"}`, "fails", "too late", []string{"/trailers/t/deal", `{"readyOn":"2026-06-01"}`}},
		{"in time", `{"order":1,"what":"hours","date":"2026-05-01"}`, "holds", "In time", []string{"/trailers/t/deal", `{"readyOn":"2026-04-01"}`}},
		{"day not told", `{"order":1,"what":"hours","date":"2026-05-01"}`, "unknown", "the day it is ready", nil},
		{"over, day not told", `{"order":1,"what":"hours","hours":36000,"date":"2026-05-01"}`, "fails", "12 h", []string{"/trailers/t/deal", `{"hours":43200}`}},
		{"too late, hours not told", `{"order":1,"what":"hours","hours":36000,"date":"2026-05-01"}`, "fails", "too late", []string{"/trailers/t/comes", `"kit"`, "/trailers/t/deal", `{"readyOn":"2026-06-01"}`}},
		{"bay of no height", `{"order":1,"what":"storage","size":{"length":{"value":3.8,"how":"weighed"},"width":{"value":1,"how":"weighed"}}}`, "tight", "if the bay is that high", with("/trailers/t/onEdge", "true", "/trailers/t/track/value", "1.8")},
		{"kit of no hours", `{"order":1,"what":"hours","hours":36000}`, "unknown", "hours of work", []string{"/trailers/t/comes", `"kit"`}},
		{"outing", `{"order":1,"what":"carry","outing":"o"}`, "unknown", "other outings", nil},
	} {
		p := sample.Plan(t, append(append([]string{}, c.sets...), "/wants", `{"w":`+c.want+`}`)...)
		states := fit.Check(rig.Resolve(p, "t", "o"))
		if len(states) != 1 || string(states[0].Outcome) != c.outcome || !strings.Contains(states[0].Says.Text(p.Locale()), c.says) {
			for _, s := range states {
				t.Errorf("%s: %s %q", c.name, s.Outcome, s.Says.Text(p.Locale()))
			}
		}
		if states[0].Outcome == finding.Unknown && len(states[0].Needs) == 0 && c.name != "outing" {
			t.Errorf("%s: not known, and nothing is asked for", c.name)
		}
	}
}

// Wishes never fail a plan; musts do, at the gate before buying.
func TestFindings(t *testing.T) {
	p := sample.Plan(t, "/wants", `{"a":{"order":1,"what":"floor"},"b":{"order":2,"what":"flat-ramp","wish":true},"c":{"order":3,"what":"carry","outing":"o"}}`, "/trailers/t/floor", `"open"`, "/trailers/t/tail", `"none"`)
	r := rig.Resolve(p, "t", "o")
	fs := fit.Findings(r, fit.Check(r))
	if len(fs) != 1 || fs[0].Subject != "/wants/a" || fs[0].Outcome != finding.Fails || fs[0].Gate != finding.GateBuy {
		t.Errorf("%+v", fs)
	}
}

func TestStored(t *testing.T) {
	b, needs := fit.Stored(rig.Resolve(sample.Plan(t, deckHeight, `{"value":0.6,"how":"weighed"}`), "t", ""))
	if needs != nil || math.Abs(b.Length-3.68) > 1e-9 || math.Abs(b.Width-1.77) > 1e-9 || math.Abs(b.Height-0.6) > 1e-9 {
		t.Errorf("%+v %v", b, needs)
	}
}
