package quantity

import (
	"maps"
	"math"
	"regexp"
	"strconv"
	"strings"
)

// Typed is what a person's typing was read as.
type Typed struct {
	Value     float64  // SI
	PlusMinus *float64 // SI, where "± 2 kg" was typed
	Relative  *float64 // share, where "± 5 %" was typed
}

// ParseError says in a sentence why a text could not be read. Ask holds the
// readings to offer where the text has several.
type ParseError struct {
	Text   string
	Reason string
	Ask    []string
}

func (e *ParseError) Error() string { return e.Reason }

type unitDef struct {
	kind Kind
	si   float64
}

// volumes by their litre or cubic names; masses of "ton" are asked back.
var units = map[string][]unitDef{
	"kg": {
		{KindMass, 1},
	}, "g": {{KindMass, 0.001}}, "t": {{KindMass, 1000}}, "tonne": {{KindMass, 1000}}, "tonnes": {{KindMass, 1000}},
	"lb": {{KindMass, kgPerPound}}, "lbs": {{KindMass, kgPerPound}}, "oz": {{KindMass, kgPerPound / 16}},
	"mm": {{KindLength, 0.001}}, "cm": {{KindLength, 0.01}}, "m": {{KindLength, 1}, {KindDistance, 1}},
	"in": {
		{KindLength, metrePerInch},
	}, "inch": {{KindLength, metrePerInch}}, "inches": {{KindLength, metrePerInch}},
	"ft": {
		{KindLength, 12 * metrePerInch},
		{KindDistance, 12 * metrePerInch},
	}, "feet": {{KindLength, 12 * metrePerInch}}, "foot": {{KindLength, 12 * metrePerInch}},
	"km": {
		{KindDistance, 1000},
	}, "mi": {{KindDistance, metrePerMile}}, "mile": {{KindDistance, metrePerMile}}, "miles": {{KindDistance, metrePerMile}},
	"km/h": {
		{KindSpeed, 1 / 3.6},
	}, "kmh": {{KindSpeed, 1 / 3.6}}, "kph": {{KindSpeed, 1 / 3.6}}, "mph": {{KindSpeed, metrePerMile / 3600}}, "m/s": {{KindSpeed, 1}},
	"%":   {{KindShare, 0.01}},
	"psi": {{KindPressure, paPerPSI}}, "bar": {{KindPressure, 1e5}}, "kpa": {{KindPressure, 1000}},
	"m³": {
		{KindVolume, 1},
	}, "m3": {{KindVolume, 1}}, "l": {{KindVolume, 0.001}, {KindFuel, 1}}, "litre": {{KindVolume, 0.001}, {KindFuel, 1}}, "litres": {{KindVolume, 0.001}, {KindFuel, 1}}, "liter": {{KindVolume, 0.001}, {KindFuel, 1}}, "liters": {{KindVolume, 0.001}, {KindFuel, 1}},
	"cu yd": {
		{KindVolume, m3PerCuYard},
	}, "cu ft": {{KindVolume, m3PerCuFoot}}, "us gal": {{KindVolume, litrePerGal / 1000}, {KindFuel, litrePerGal}}, "uk gal": {{KindVolume, 0.00454609}, {KindFuel, litrePerGalU}},
	"kg/m³": {{KindDensity, 1}}, "kg/m3": {{KindDensity, 1}}, "lb/cu ft": {{KindDensity, kgPerPound / m3PerCuFoot}},
	"°": {{KindAngle, math.Pi / 180}}, "deg": {{KindAngle, math.Pi / 180}}, "degrees": {{KindAngle, math.Pi / 180}},
	"h": {
		{KindTime, 3600},
	}, "hour": {{KindTime, 3600}}, "hours": {{KindTime, 3600}}, "min": {{KindTime, 60}}, "minutes": {{KindTime, 60}}, "days": {{KindTime, 8 * 3600}}, "day": {{KindTime, 8 * 3600}},
	"n": {{KindForce, 1}}, "dan": {{KindForce, 10}}, "kn": {{KindForce, 1000}}, "lbf": {{KindForce, newtonPerLbf}},
	"hz": {
		{KindFrequency, 1},
	}, "v": {{KindVoltage, 1}}, "a": {{KindCurrent, 1}}, "n·m": {{KindMoment, 1}}, "nm": {{KindMoment, 1}}, "knm": {{KindMoment, 1000}}, "kn·m": {{KindMoment, 1000}},
	"lb·ft": {{KindMoment, newtonMetrePerLbFt}}, "lb ft": {{KindMoment, newtonMetrePerLbFt}},
	"ft lb": {{KindMoment, newtonMetrePerLbFt}}, "ft-lb": {{KindMoment, newtonMetrePerLbFt}},
	"£": {{KindMoney, 1}}, "€": {{KindMoney, 1}}, "$": {{KindMoney, 1}},
	"kwh": {{KindEnergy, 1}}, "l/100 km": {{KindFuelUse, 1}}, "l/100km": {{KindFuelUse, 1}},
	"/kg": {{KindRate, 1}}, "/lb": {{KindRate, 1 / kgPerPound}}, "/l": {{KindLitreCost, 1}}, "/gal": {{KindLitreCost, 1 / litrePerGal}},
	"k":  {{KindDifference, 1}},
	"m²": {{KindArea, 1}}, "m2": {{KindArea, 1}}, "sq ft": {{KindArea, m2PerSqFoot}},
	"l/min": {{KindFlow, 1}}, "gal/min": {{KindFlow, litrePerGal}}, "gpm": {{KindFlow, litrePerGal}},
	"m²/l": {{KindCover, 1}}, "m2/l": {{KindCover, 1}}, "sq ft/gal": {{KindCover, m2PerSqFoot / litrePerGal}},
	"/km": {{KindDriveCost, 1}}, "/mi": {{KindDriveCost, 1000 / metrePerMile}},
	"kwh/100 km": {{KindPowerUse, 1}}, "kwh/100km": {{KindPowerUse, 1}}, "kwh/100 mi": {{KindPowerUse, 1000 / metrePerMile}},
	"us ton": {{KindMass, 2000 * kgPerPound}}, "uk ton": {{KindMass, 2240 * kgPerPound}},
}

// ambiguous units mean different things on the two sides of the ocean.
var ambiguous = map[string][]string{
	"ton": {"t", "us ton", "uk ton"}, "tons": {"t", "us ton", "uk ton"},
	"gallon": {"us gal", "uk gal"}, "gallons": {"us gal", "uk gal"}, "gal": {"us gal", "uk gal"},
	"yard": {"cu yd", "ft", "m"}, "yards": {"cu yd", "ft", "m"}, "yd": {"cu yd", "ft", "m"},
}

// Units lists what each unit measures with its size in SI, and the units that mean several with
// what to ask. The interface reads the same.
func Units() (sizes map[string]map[Kind]float64, unsure map[string][]string) {
	sizes = map[string]map[Kind]float64{}
	for name, defs := range units {
		sizes[name] = map[Kind]float64{}
		for _, d := range defs {
			sizes[name][d.kind] = d.si
		}
	}
	return sizes, maps.Clone(ambiguous)
}

var (
	plusMinus = regexp.MustCompile(`\s*(?:±|\+/-|\+-|\+/−)\s*`)
	footInch  = regexp.MustCompile(
		`^(-?)(?:([0-9]+/[0-9]+|[0-9.,]+(?:\s+[0-9]+/[0-9]+)?)\s*(?:'|ft|feet|foot)\s*)?(?:([0-9]+/[0-9]+|[0-9.,]+(?:\s+[0-9]+/[0-9]+)?)\s*(?:"|in|inch|inches)?)?$`,
	)
	numberUnit = regexp.MustCompile(
		`^(-?(?:[0-9]+/[0-9]+|[0-9.,]+e[+-]?[0-9]+|[0-9.,]+(?:\s+[0-9]+/[0-9]+)?))\s*([^0-9\s].*)?$`,
	)
)

// Parse reads text as a quantity of kind k, as people write it: "1,190 lb",
// "7ft", `8' 4 3/4"`, "2.4m", "35 psi", "12 ± 2 kg", "540 kg ± 5 %". A bare
// number takes the locale's own unit: kg or lb, mm or inches. The error is a
// *ParseError whose sentence can be shown as it stands.
func (l Locale) Parse(k Kind, text string) (Typed, error) {
	clean := normal(text)
	if clean == "" {
		return Typed{}, &ParseError{Text: text, Reason: "Nothing was typed."}
	}
	if len(clean) > 80 {
		return Typed{}, &ParseError{Text: text, Reason: "That is too long for one figure."}
	}
	parts := plusMinus.Split(clean, -1)
	if len(parts) > 2 {
		return Typed{}, &ParseError{Text: text, Reason: "Write only one ±."}
	}
	main := parts[0]
	if len(parts) == 1 {
		v, err := l.one(k, main)
		return Typed{Value: v}, err
	}
	doubt := parts[1]
	// "12 ± 2 kg": the unit behind the doubt serves both.
	if m := numberUnit.FindStringSubmatch(main); m != nil && m[2] == "" {
		if d := numberUnit.FindStringSubmatch(doubt); d != nil && d[2] != "" && d[2] != "%" {
			main += " " + d[2]
		}
	}
	v, err := l.one(k, main)
	if err != nil {
		return Typed{}, err
	}
	if d, ok := strings.CutSuffix(doubt, "%"); ok && k != KindShare {
		share, err := l.bare(strings.TrimSpace(d))
		if err != nil || share < 0 {
			return Typed{}, &ParseError{Text: text, Reason: "The doubt behind ± must be a number, zero or more."}
		}
		share /= 100
		return Typed{Value: v, Relative: &share}, nil
	}
	// "540 kg ± 5": the unit before the doubt serves both.
	if d := numberUnit.FindStringSubmatch(doubt); d != nil && d[2] == "" {
		if m := numberUnit.FindStringSubmatch(main); m != nil && m[2] != "" {
			doubt += " " + m[2]
		}
	}
	d, err := l.one(k, doubt)
	if err != nil || d < 0 {
		return Typed{}, &ParseError{Text: text, Reason: "The doubt behind ± must be a number, zero or more."}
	}
	return Typed{Value: v, PlusMinus: &d}, nil
}

func normal(s string) string {
	s = strings.NewReplacer("−", "-", "–", "-", "’", "'", "′", "'", "″", `"`, "”", `"`, "“", `"`, "\u00a0", " ", "\u202f", " ", "½", " 1/2", "¼", " 1/4", "¾", " 3/4").
		Replace(s)
	return strings.ToLower(strings.Join(strings.Fields(s), " "))
}

// one reads a single figure with or without its unit.
func (l Locale) one(k Kind, s string) (float64, error) {
	if k == KindLength {
		if v, ok, err := l.feet(s); ok {
			return v, err
		}
	}
	switch k {
	case KindMoney, KindDriveCost, KindLitreCost, KindRate:
		s = strings.TrimSpace(strings.TrimLeft(s, "£€$"))
	}
	m := numberUnit.FindStringSubmatch(s)
	if m == nil {
		return 0, &ParseError{Text: s, Reason: "“" + s + "” is not a number with a unit."}
	}
	name := strings.TrimSpace(m[2])
	if l.Region == EU && eitherEU.MatchString(m[1]) { // 1.190 kg: thousands, or a decimal point?
		unit := ""
		if name != "" {
			unit = " " + name
		}
		offers := []string{strings.Replace(m[1], ".", "", 1) + unit, strings.Replace(m[1], ".", ",", 1) + unit}
		return 0, &ParseError{
			Text:   s,
			Reason: "Is “" + m[1] + "” thousands or a fraction? Write " + offers[0] + " or " + offers[1] + ".",
			Ask:    offers,
		}
	}
	v, err := l.bare(m[1])
	if err != nil {
		return 0, err
	}
	if k == KindTemperature {
		return l.temperature(v, name)
	}
	if gal := l.gallon(); k == KindFuelUse && (name == "mpg" || name == "" && gal > 0) {
		return l.thirst(s, v, gal)
	}
	if name == "" {
		return finite(s, v*l.own(k))
	}
	if ask := ambiguous[name]; ask != nil {
		var offers []string
		for _, u := range ask {
			if hasKind(u, k) {
				offers = append(offers, m[1]+" "+u)
			}
		}
		if len(offers) > 0 {
			return 0, &ParseError{
				Text:   s,
				Reason: "Which " + name + "? Write " + strings.Join(offers, " or ") + ".",
				Ask:    offers,
			}
		}
	}
	for _, d := range units[name] {
		if d.kind == k {
			return finite(s, v*d.si)
		}
	}
	if units[name] != nil || ambiguous[name] != nil {
		return 0, &ParseError{Text: s, Reason: "“" + name + "” does not measure " + kindWord[k] + "."}
	}
	return 0, &ParseError{Text: s, Reason: "“" + name + "” is not a unit known here."}
}

var kindWord = map[Kind]string{
	KindMass: "weight", KindLength: "a length", KindDistance: "a distance", KindSpeed: "speed", KindShare: "a share",
	KindPressure: "pressure", KindVolume: "volume", KindDensity: "density", KindAngle: "an angle", KindCount: "a count",
	KindMoney: "money", KindRate: "money by weight", KindTime: "hours of work", KindForce: "a force",
	KindStress: "a stress", KindMoment: "a moment", KindFrequency: "a frequency", KindVoltage: "a voltage", KindCurrent: "a current",
	KindDriveCost: "money by distance", KindLitreCost: "money by the litre",
	KindDifference: "a difference of temperatures", KindArea: "an area", KindFlow: "a flow", KindCover: "the area that a paint covers",
	KindFuel: "an amount by the litre", KindEnergy: "energy", KindFuelUse: "fuel by distance", KindPowerUse: "energy by distance",
}

func hasKind(name string, k Kind) bool {
	for _, d := range units[name] {
		if d.kind == k {
			return true
		}
	}
	return false
}

func finite(s string, v float64) (float64, error) {
	if !Finite(v) || math.Abs(v) > 1e12 {
		return 0, &ParseError{Text: s, Reason: "That number is too large."}
	}
	return v, nil
}

// temperature reads degrees of Celsius or Fahrenheit: (F − 32)·5/9.
func (l Locale) temperature(v float64, name string) (float64, error) {
	switch name {
	case "c", "°c", "° c":
		return finite("", v)
	case "f", "°f", "° f":
		return finite("", (v-32)*5/9)
	case "", "°":
		if l.Units == Imperial {
			return finite("", (v-32)*5/9)
		}
		return finite("", v)
	}
	return 0, &ParseError{Text: name, Reason: "“" + name + "” does not measure a temperature."}
}

// thirst reads miles a gallon; those of a UK gallon where kilometres are chosen and the region is not North America.
func (l Locale) thirst(s string, v, gal float64) (float64, error) {
	if gal == 0 {
		gal = Locale{Units: Imperial, Region: l.Region}.gallon()
	}
	if !(v > 0) {
		return 0, &ParseError{Text: s, Reason: "Miles per gallon must be more than zero."}
	}
	return finite(s, perGallon(gal)/v)
}

// own is the SI size of the unit that a bare number has.
func (l Locale) own(k Kind) float64 {
	imperial := l.Units == Imperial
	pick := func(metric, other float64) float64 {
		if imperial {
			return other
		}
		return metric
	}
	switch k {
	case KindMass:
		return pick(1, kgPerPound)
	case KindLength:
		return pick(0.001, metrePerInch)
	case KindDistance:
		return pick(1000, metrePerMile)
	case KindSpeed:
		return pick(1/3.6, metrePerMile/3600)
	case KindShare:
		return 0.01
	case KindPressure:
		return pick(1e5, paPerPSI)
	case KindVolume:
		return pick(1, m3PerCuYard)
	case KindDensity:
		return pick(1, kgPerPound/m3PerCuFoot)
	case KindAngle:
		return math.Pi / 180
	case KindTime:
		return 3600
	case KindFuel:
		if l.gallons() {
			return litrePerGal
		}
	case KindFlow:
		if l.gallons() {
			return litrePerGal
		}
	case KindLitreCost:
		if l.gallons() {
			return 1 / litrePerGal
		}
	case KindCover:
		if l.gallons() {
			return m2PerSqFoot / litrePerGal
		}
	case KindDifference:
		return pick(1, 5.0/9)
	case KindArea:
		return pick(1, m2PerSqFoot)
	case KindRate:
		return pick(1, 1/kgPerPound)
	case KindPowerUse, KindDriveCost:
		return pick(1, 1000/metrePerMile)
	case KindForce:
		return pick(1000, newtonPerLbf)
	case KindMoment:
		return pick(1, newtonMetrePerLbFt)
	}
	return 1
}

// feet reads 8' 4 3/4", 7ft, 7 ft 6 in and 6 1/4". ok is false where the text
// holds neither feet nor inches.
func (l Locale) feet(s string) (v float64, ok bool, err error) {
	if !strings.ContainsAny(s, `'"`) && !strings.Contains(s, "f") {
		return 0, false, nil
	}
	m := footInch.FindStringSubmatch(s)
	if m == nil || m[2] == "" && m[3] == "" {
		return 0, false, nil
	}
	var feet, inches float64
	if m[2] != "" {
		if feet, err = l.bare(m[2]); err != nil {
			return 0, true, err
		}
	}
	if m[3] != "" {
		if inches, err = l.bare(m[3]); err != nil {
			return 0, true, err
		}
	}
	v = (feet*12 + inches) * metrePerInch
	if m[1] == "-" {
		v = -v
	}
	v, err = finite(s, v)
	return v, true, err
}

// bare reads a plain number: 2400, 4 3/4, 3/8, 1,190 or 1,5 by region.
func (l Locale) bare(s string) (float64, error) {
	bad := &ParseError{Text: s, Reason: "“" + s + "” is not a number."}
	if whole, frac, ok := strings.Cut(s, " "); ok || strings.Contains(s, "/") {
		if !ok {
			whole, frac = "0", s
		}
		a, b, _ := strings.Cut(frac, "/")
		n, err1 := strconv.ParseFloat(a, 64)
		d, err2 := strconv.ParseFloat(b, 64)
		w, err3 := l.bare(whole)
		if err1 != nil || err2 != nil || err3 != nil || d == 0 {
			return 0, bad
		}
		if strings.HasPrefix(whole, "-") {
			n = -n
		}
		return w + n/d, nil
	}
	s = l.decimal(s)
	v, err := strconv.ParseFloat(s, 64)
	if err != nil || strings.ContainsAny(s, "xpin_") {
		return 0, bad
	}
	return v, nil
}

var grouped = regexp.MustCompile(`^-?[1-9][0-9]{0,2}(,[0-9]{3})+(\.[0-9]+)?$`)
var groupedEU = regexp.MustCompile(`^-?[1-9][0-9]{0,2}(?:(?:\.[0-9]{3})+,[0-9]+|(?:\.[0-9]{3}){2,})$`)

// eitherEU may be thousands or a decimal point where the comma is the decimal sign.
var eitherEU = regexp.MustCompile(`^-?[1-9][0-9]{0,2}\.[0-9]{3}$`)

// decimal turns the region's commas into a plain decimal point. In the EU a
// comma is the decimal sign and points group thousands; elsewhere a comma before each three digits groups
// them, and any other single comma is read as a decimal sign.
func (l Locale) decimal(s string) string {
	if l.Region == EU {
		if groupedEU.MatchString(s) {
			s = strings.ReplaceAll(s, ".", "")
		}
	} else if grouped.MatchString(s) {
		return strings.ReplaceAll(s, ",", "")
	}
	if strings.Count(s, ",") == 1 && !strings.Contains(s, ".") {
		return strings.Replace(s, ",", ".", 1)
	}
	return s
}
