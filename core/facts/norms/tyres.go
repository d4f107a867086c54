package norms

import (
	"regexp"
	"strconv"
	"strings"

	"zygonos/core/lang/quantity"
)

// loadIndex is the mass that one tyre bears, kg, from load index 50 on.
var loadIndex = [...]mass{
	190, 195, 200, 206, 212, 218, 224, 230, 236, 243,
	250, 257, 265, 272, 280, 290, 300, 307, 315, 325,
	335, 345, 355, 365, 375, 387, 400, 412, 425, 437,
	450, 462, 475, 487, 500, 515, 530, 545, 560, 580,
	600, 615, 630, 650, 670, 690, 710, 730, 750, 775,
	800, 825, 850, 875, 900, 925, 950, 975, 1000, 1030,
	1060, 1090, 1120, 1150, 1180, 1215, 1250, 1285, 1320, 1360,
	1400, 1450, 1500, 1550, 1600, 1650, 1700,
}

// LoadIndexSource is where the load indices come from.
var LoadIndexSource = source("ISO 4000-1, tyre load index", "", "A")

// TyreLoad is the mass that a tyre of that load index bears; ok is false for
// an index outside the table (50 to 126).
func TyreLoad(index int) (kg mass, ok bool) {
	if index < 50 || index >= 50+len(loadIndex) {
		return 0, false
	}
	return loadIndex[index-50], true
}

// speedSymbols are the speeds of ISO 4000-1, km/h.
var speedSymbols = map[string]float64{
	"B": 50, "C": 60, "D": 65, "E": 70, "F": 80, "G": 90, "J": 100, "K": 110, "L": 120, "M": 130, "N": 140,
	"P": 150, "Q": 160, "R": 170, "S": 180, "T": 190, "U": 200, "H": 210, "V": 240, "W": 270, "Y": 300,
	"ZR": 240, // above it: of a tyre that tells no more
}

// SpeedSource is where the speed symbols come from.
var SpeedSource = source("ISO 4000-1, tyre speed symbol", "", "A")

// TyreSpeed is the greatest speed of a tyre with that symbol, m/s.
func TyreSpeed(symbol string) (quantity.Speed, bool) {
	v, ok := speedSymbols[strings.ToUpper(strings.TrimSpace(symbol))]
	return quantity.Speed(v / 3.6), ok
}

// Tyre is what the text on a tyre's wall tells; what it does not tell is nil.
type Tyre struct {
	Index    *int             // load index of one tyre alone
	Symbol   string           // speed symbol
	Load     *mass            // plain "max load"
	Diameter *quantity.Length // over all, from width, aspect and rim
	Width    *quantity.Length // of a metric size, as it stands first
	Car      bool             // made for cars: P before the size, or no ST or LT and a letter of 160 km/h or more
}

// On a trailer a car's tyre counts for less in North America: its load divided by this (49 CFR 571.110, S4.2.2.2; 571.120,
// S5.1.2). Sizes without a letter before them are kept apart by their speed, as practice (C).
const (
	CarTyreLess = 1.10
	carSpeed    = 160 / 3.6 // m/s
)

// CarTyreSource is where that comes from.
var CarTyreSource = source("49 CFR 571.110", "S4.2.2.2: car tyres on a trailer, their load divided by 1.10", "A")

var (
	tyreSize = regexp.MustCompile(
		`^(ST|LT|P|T)?\s?(\d{2,3}(?:\.\d+)?)(?:[/X](\d{1,3}(?:\.\d+)?))?\s*(?:-|Z?R|B|D)\s*(\d{1,2}(?:\.\d+)?)\s*(LT|C\b)?`,
	)
	tyreOld    = regexp.MustCompile(`^\d\.\d{1,2}\s*(?:/\d{1,3}\.?\d*)?\s*(?:-|R|X)\s*\d{1,2}\s*(?:C\b)?`)
	tyreRating = regexp.MustCompile(`\b(\d{2,3})(/\d{2,3})?\s?([A-Z])(?:$|[\s,;)])`)
	tyreLoad   = regexp.MustCompile(`(\d[\d,.]*)\s*(KG|LBS?)\b`)
)

// ReadTyre reads the text as it stands on a tyre's wall: "145/80 R13 79N",
// "ST175/80D13 91M", "4.80-8 71M", "max load 387 kg". Text that tells nothing
// gives an empty Tyre.
func ReadTyre(text string) Tyre {
	var t Tyre
	var prefix string
	metric, light := false, false
	s := strings.ToUpper(strings.Join(strings.Fields(text), " "))
	if m := tyreSize.FindStringSubmatch(s); m != nil {
		t.Diameter = overAll(m[2], m[3], m[4])
		if w, err := strconv.ParseFloat(m[2], 64); err == nil && w >= 100 && w <= 400 {
			t.Width, metric = new(quantity.Length(w/1000)), true
		}
		prefix, light = m[1], m[5] != ""
		if strings.Contains(m[0], "ZR") {
			t.Symbol = "ZR"
		}
		s = strings.TrimSpace(s[len(m[0]):])
	} else if m := tyreOld.FindString(s); m != "" {
		s = strings.TrimSpace(s[len(m):])
	}
	for _, m := range tyreRating.FindAllStringSubmatch(s, -1) {
		n, _ := strconv.Atoi(m[1])
		if _, known := TyreLoad(n); known {
			if _, ok := speedSymbols[m[3]]; ok {
				t.Index, t.Symbol, light = &n, m[3], light || m[2] != ""
				break
			}
		}
	}
	if m := tyreLoad.FindStringSubmatch(s); m != nil {
		if v, err := strconv.ParseFloat(plain(m[1]), 64); err == nil && v > 0 && v < 10_000 {
			kg := mass(v)
			if m[2] != "KG" {
				kg *= pound
			}
			t.Load = &kg
		}
	}
	fast, ok := TyreSpeed(t.Symbol)
	t.Car = metric && !light && (prefix == "P" || prefix == "" && ok && fast > carSpeed-1e-9)
	return t
}

var groupedLoad = regexp.MustCompile(`^\d{1,3}(?:[.,]\d{3})+$`)

// plain is a number from a tyre's wall with a decimal point and no groups. Three digits
// behind a point or comma are a group, whatever the region: no wall tells grams.
func plain(s string) string {
	if groupedLoad.MatchString(s) {
		return strings.NewReplacer(",", "", ".", "").Replace(s)
	}
	return strings.ReplaceAll(s, ",", ".")
}

// overAll is rim + 2·aspect·width; a width in mm with an aspect in per cent.
func overAll(width, aspect, rim string) *quantity.Length {
	w, _ := strconv.ParseFloat(width, 64)
	a, err := strconv.ParseFloat(aspect, 64)
	r, _ := strconv.ParseFloat(rim, 64)
	switch {
	case err != nil: // an old radial without an aspect has about 82 %
		a = 82
	case w < 40: // 20.5x8.0-10: the diameter itself, inches
		d := quantity.Length(w) * inch
		return &d
	}
	if w < 100 || w > 400 || r < 4 || r > 24 || a < 20 || a > 100 {
		return nil
	}
	d := quantity.Length(r)*inch + quantity.Length(2*a/100*w/1000)
	return &d
}
