package norms_test

import (
	"math"
	"testing"

	"zygonos/core/facts/norms"
	"zygonos/core/lang/quantity"
)

func TestReadTyre(t *testing.T) {
	for _, c := range []struct {
		text     string
		index    int
		symbol   string
		load     float64 // kg
		diameter float64 // m
	}{
		{"145/80 R13 79N", 79, "N", 0, 0.5622}, // 13·25.4 + 2·0.8·145
		{"185/65R14 94N", 94, "N", 0, 0.5961},  // 14·25.4 + 2·0.65·185
		{"195/70 R14 C 104/102R", 104, "R", 0, 0.6286},
		{"165 R13 C 94/92N", 94, "N", 0, 0.6008}, // 82 % aspect: 330.2 + 270.6
		{"ST175/80D13 91M", 91, "M", 0, 0.6102},
		{"4.80-8 71M", 71, "M", 0, 0},
		{"20.5x8.0-10 98M", 98, "M", 0, 0.5207},
		{"120/70 R 12 58S", 58, "S", 0, 0.4728},
		{"155/80 r13 84t  tubeless", 84, "T", 0, 0.5782},
		{"max load 387 kg", 0, "", 387, 0},
		{"ST205/75D15 MAX LOAD 1,820 LBS", 0, "", 825.54, 0.6885},
		{"MAX LOAD 1.030 KG", 0, "", 1030, 0},
		{"max load 387,5 kg", 0, "", 387.5, 0},
		{"195/50 R15 82W", 82, "W", 0, 0.576},
		{"225/45 ZR17 (94Y)", 94, "Y", 0, 0.6343},
		{"225/45 ZR17", 0, "ZR", 0, 0.6343},
		{"145/80 R13", 0, "", 0, 0.5622},
		{"", 0, "", 0, 0},
		{"worn smooth 🛞", 0, "", 0, 0},
		{"999/99 R99 999Z", 0, "", 0, 0},
	} {
		got := norms.ReadTyre(c.text)
		if (got.Index == nil) != (c.index == 0) || got.Index != nil && *got.Index != c.index || got.Symbol != c.symbol {
			t.Errorf("%q: index %v symbol %q", c.text, got.Index, got.Symbol)
		}
		if (got.Load == nil) != (c.load == 0) || got.Load != nil && math.Abs(float64(*got.Load)-c.load) > 0.01 {
			t.Errorf("%q: load %v", c.text, got.Load)
		}
		if (got.Diameter == nil) != (c.diameter == 0) || got.Diameter != nil && math.Abs(float64(*got.Diameter)-c.diameter) > 1e-4 {
			t.Errorf("%q: diameter %v, want %v", c.text, got.Diameter, c.diameter)
		}
	}
}

// Which are made for cars: P before the size, or none and a car's speed; not those of light lorries and trailers.
func TestCarTyres(t *testing.T) {
	for text, car := range map[string]bool{
		"P205/75R15 97S": true, "P 205/75R15": true, "P205/75R15": true, "205/75R15 97S": true, "155/80 r13 84t": true,
		"225/45 ZR17 (94Y)": true, "145/80 R13 79N": false, "185/65R14 94N": false, "195/70 R14 C 104/102R": false,
		"ST205/75R15 107S": false, "ST 205/75R15 107S": false, "LT235/75R15 104/101S": false, "235/75R15LT 104S": false, "145/80 R13": false,
		"195/70R15 104/102R": false, "4.80-8 71M": false, "20.5x8.0-10 98M": false, "": false,
	} {
		if got := norms.ReadTyre(text).Car; got != car {
			t.Errorf("%q: car's %v", text, got)
		}
	}
}

func TestTyreSpeed(t *testing.T) {
	for symbol, kmh := range map[string]float64{"J": 100, "M": 130, "n": 140, "H": 210, " L ": 120, "W": 270, "y": 300, "ZR": 240} {
		if v, ok := norms.TyreSpeed(symbol); !ok || math.Abs(float64(v)-kmh/3.6) > 1e-9 {
			t.Errorf("%s: %v", symbol, v)
		}
	}
	for _, bad := range []string{"", "I", "O", "ZZ", "1"} {
		if _, ok := norms.TyreSpeed(bad); ok {
			t.Errorf("%q has a speed", bad)
		}
	}
}

func TestRoadRules(t *testing.T) {
	for _, r := range quantity.Regions {
		rules := norms.RoadOf(r)
		if rules.Width < 2.4 || rules.Width > 2.7 || len(rules.RearMarks) == 0 || rules.SizeSource.Title == "" {
			t.Errorf("%s: %+v", r, rules)
		}
		for i := 1; i < len(rules.RearMarks); i++ {
			if rules.RearMarks[i].Over <= rules.RearMarks[i-1].Over {
				t.Errorf("%s: marks out of order", r)
			}
		}
	}
	if norms.RoadOf("nowhere").Width != 2.55 {
		t.Error("an unknown region has the UK's rules")
	}
}
