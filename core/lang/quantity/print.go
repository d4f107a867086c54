package quantity

import (
	"math"
	"strconv"
	"strings"
)

// Exact conversions: NIST SP 811 (2008), appendix B.
const (
	kgPerPound   = 0.45359237
	metrePerInch = 0.0254
	metrePerMile = 1609.344
	paPerPSI     = 6894.757293168361
	m3PerCuYard  = 0.764554857984
	m3PerCuFoot  = 0.028316846592
	m2PerSqFoot  = 0.09290304
	litrePerGal  = 3.785411784 // US liquid gallon
	litrePerGalU = 4.54609     // UK gallon
	newtonPerLbf = 4.4482216152605

	newtonMetrePerLbFt = newtonPerLbf * 0.3048
)

// Currency is the sign before a sum of money.
func Currency(r Region) string {
	switch r {
	case UK:
		return "£"
	case EU:
		return "€"
	}
	return "$"
}

const minus = "−"

// Text prints v of kind k as it is read in the yard: masses in kg or lb,
// taped lengths in mm (m from 10 m on) or feet and inches to the eighth, what a caliper measures finer.
// It never prints "-0"; a value that is not finite prints as "–".
func (l Locale) Text(k Kind, v float64) string {
	if !Finite(v) {
		return "–"
	}
	imperial := l.Units == Imperial
	switch k {
	case KindMass:
		if imperial {
			return number(v/kgPerPound, massDigits(v/kgPerPound)) + " lb"
		}
		return number(v, massDigits(v)) + " kg"
	case KindLength:
		switch fine := fineDigits(v); {
		case imperial && fine > 0 && !eighth(v/metrePerInch):
			return number(v/metrePerInch, fine+2) + `"`
		case imperial:
			return feetInches(v / metrePerInch)
		case math.Abs(v) < 9.9995:
			return number(v*1000, fine) + " mm"
		}
		return number(v, 2) + " m"
	case KindTemperature:
		if imperial {
			return number(v*9/5+32, 0) + " °F"
		}
		return number(v, 0) + " °C"
	case KindDifference:
		if imperial {
			return number(v*9/5, 0) + " °F"
		}
		return number(v, 0) + " K"
	case KindDistance:
		if imperial {
			return number(v/metrePerMile, smallDigits(v/metrePerMile)) + " mi"
		}
		return number(v/1000, smallDigits(v/1000)) + " km"
	case KindSpeed:
		if imperial {
			return number(v*3600/metrePerMile, 0) + " mph"
		}
		return number(v*3.6, 0) + " km/h"
	case KindShare:
		return number(v*100, 1) + " %"
	case KindPressure:
		if imperial {
			return number(v/paPerPSI, 0) + " psi"
		}
		return number(v/1e5, 1) + " bar"
	case KindVolume:
		if imperial {
			return number(v/m3PerCuYard, 2) + " cu yd"
		}
		return number(v, 2) + " m³"
	case KindDensity:
		if imperial {
			return number(v/kgPerPound*m3PerCuFoot, 0) + " lb/cu ft"
		}
		return number(v, 0) + " kg/m³"
	case KindAngle:
		return number(v*180/math.Pi, 1) + "°"
	case KindMoney:
		return l.money(v, math.Abs(v) < 19.995)
	case KindRate:
		if imperial {
			return l.money(v*kgPerPound, true) + "/lb"
		}
		return l.money(v, true) + "/kg"
	case KindDriveCost:
		if imperial {
			return l.money(v*metrePerMile/1000, true) + "/mi"
		}
		return l.money(v, true) + "/km"
	case KindLitreCost:
		if l.gallons() {
			return l.money(v*litrePerGal, true) + "/gal"
		}
		return l.money(v, true) + "/l"
	case KindArea:
		if v != 0 && math.Abs(v) < 0.0995 {
			if imperial {
				return number(v/(metrePerInch*metrePerInch), 0) + " sq in"
			}
			return number(v*1e4, 0) + " cm²"
		}
		unit := " m²"
		if imperial {
			unit, v = " sq ft", v/m2PerSqFoot
		}
		return number(v, areaDigits(v)) + unit
	case KindFlow:
		if l.gallons() {
			return number(v/litrePerGal, smallDigits(v/litrePerGal)) + " gal/min"
		}
		return number(v, smallDigits(v)) + " l/min"
	case KindCover:
		if l.gallons() {
			return number(v*litrePerGal/m2PerSqFoot, 0) + " sq ft/gal"
		}
		return number(v, smallDigits(v)) + " m²/l"
	case KindTime:
		if m := math.Abs(v) / 60; m < 59.5 && m >= 0.5 {
			return number(v/60, 0) + " min"
		}
		return number(v/3600, 1) + " h"
	case KindStress:
		unit, v := "kPa", v/1000
		if imperial {
			if unit, v = "psi", v*1000/paPerPSI; math.Abs(v) >= 9999.5 {
				unit, v = "ksi", v/1000
			}
		} else if math.Abs(v) >= 999.5 {
			unit, v = "MPa", v/1000
		}
		if math.Abs(v) < 99.95 {
			return number(v, 1) + " " + unit
		}
		return number(v, 0) + " " + unit
	case KindForce:
		if imperial {
			return number(v/newtonPerLbf, 0) + " lbf"
		}
		return number(v/1000, 2) + " kN"
	case KindFuel:
		if l.gallons() {
			return number(v/litrePerGal, smallDigits(v/litrePerGal)) + " gal"
		}
		return number(v, smallDigits(v)) + " l"
	case KindEnergy:
		return number(v, smallDigits(v)) + " kWh"
	case KindFuelUse:
		if gal := l.gallon(); gal > 0 {
			if !(v > 0) {
				return "–"
			}
			return number(perGallon(gal)/v, smallDigits(perGallon(gal)/v)) + " mpg"
		}
		return number(v, 1) + " l/100 km"
	case KindPowerUse:
		if imperial {
			return number(v*metrePerMile/1000, 1) + " kWh/100 mi"
		}
		return number(v, 1) + " kWh/100 km"
	case KindVoltage:
		return number(v, 1) + " V"
	case KindCurrent:
		return number(v, 1) + " A"
	case KindFrequency:
		return number(v, 1) + " Hz"
	case KindMoment:
		unit := "N·m"
		if imperial {
			unit, v = "lb·ft", v/newtonMetrePerLbFt
		}
		if math.Abs(v) < 9.995 {
			return number(v, 1) + " " + unit
		}
		return number(v, 0) + " " + unit
	}
	return number(v, smallDigits(v))
}

// gallon is the gallon, l, by which a car's thirst is stated in pounds and miles: of the US in North America, else of the UK; 0 in
// kilometres.
func (l Locale) gallon() float64 {
	switch {
	case l.Units != Imperial:
		return 0
	case l.Region == NorthAmerica:
		return litrePerGal
	}
	return litrePerGalU
}

// gallons reports whether what is filled is stated in gallons and not in litres.
func (l Locale) gallons() bool { return l.Units == Imperial && l.Region == NorthAmerica }

// perGallon is l/100 km times miles a gallon.
func perGallon(gal float64) float64 { return gal * 1e5 / metrePerMile }

// money prints a sum; small ones to the hundredth unless they are whole.
func (l Locale) money(v float64, small bool) string {
	digits := 0
	if small && math.Abs(v-math.Round(v)) >= 0.005 {
		digits = 2
	}
	s := strconv.FormatFloat(math.Abs(v), 'f', digits, 64)
	if digits == 0 {
		s = number(math.Abs(v), 0)
	}
	if v < 0 && strings.Trim(s, "0.") != "" {
		return minus + Currency(l.Region) + s
	}
	return Currency(l.Region) + s
}

// Span prints a range: the nominal value, and its ends when they print
// differently from it.
func (l Locale) Span(k Kind, r Range[float64]) string {
	mid, low, high := l.Text(k, r.Nominal), l.Text(k, r.Low), l.Text(k, r.High)
	if low == mid && high == mid {
		return mid
	}
	return mid + " (" + low + " to " + high + ")"
}

func massDigits(v float64) int {
	if math.Abs(v) < 9.95 {
		return 1
	}
	return 0
}

func areaDigits(v float64) int {
	switch a := math.Abs(v); {
	case a < 0.995:
		return 2
	case a < 99.95:
		return 1
	}
	return 0
}

func smallDigits(v float64) int {
	if math.Abs(v) < 9.95 && v != math.Trunc(v) {
		return 1
	}
	return 0
}

// number rounds half away from zero, as people do, and drops ".0".
func number(v float64, digits int) string {
	scale := math.Pow(10, float64(digits))
	v = math.Round(v*scale) / scale
	s := strconv.FormatFloat(math.Abs(v), 'f', digits, 64)
	if strings.Contains(s, ".") {
		s = strings.TrimRight(strings.TrimRight(s, "0"), ".")
	}
	if v < 0 {
		return minus + s
	}
	return s
}

// fineDigits is how many digits of a millimetre a length has that is not taped but measured with a caliper: walls, coats, play.
func fineDigits(v float64) int {
	switch a := math.Abs(v); {
	case a < 0.000995:
		return 2
	case a < 0.00995:
		return 1
	}
	return 0
}

// eighth reports whether inches are as many eighths, but for what no caliper shows.
func eighth(inches float64) bool {
	return math.Abs(inches*8-math.Round(inches*8)) < 0.01
}

// feetInches prints inches as a tape shows them: 8' 4 3/4".
func feetInches(inches float64) string {
	eighths := int64(math.Round(math.Abs(inches) * 8))
	sign := ""
	if inches < 0 && eighths > 0 {
		sign = minus
	}
	feet, rest := eighths/96, eighths%96
	whole, part := rest/8, rest%8
	var b strings.Builder
	b.WriteString(sign)
	if feet > 0 {
		b.WriteString(strconv.FormatInt(feet, 10) + "'")
		if rest == 0 {
			return b.String()
		}
		b.WriteByte(' ')
	}
	if whole > 0 || part == 0 {
		b.WriteString(strconv.FormatInt(whole, 10))
	}
	if part > 0 {
		if whole > 0 {
			b.WriteByte(' ')
		}
		d := int64(8)
		for part%2 == 0 {
			part, d = part/2, d/2
		}
		b.WriteString(strconv.FormatInt(part, 10) + "/" + strconv.FormatInt(d, 10))
	}
	b.WriteByte('"')
	return b.String()
}
