// Package quantity gives the typed SI quantities of the trade, prints them in
// either unit system and reads them as people type them.
//
// Values are in SI throughout: kg, m, m/s, Pa, m³, kg/m³, rad, N. The typed
// quantities are gonum's; this package adds only kinds, ranges, printing and
// parsing. The same printing and parsing stand in ui/src/quantities; the file
// testdata/vectors.json holds both to the same words.
package quantity

import (
	"math"

	"gonum.org/v1/gonum/unit"
)

// Typed quantities. Each is a float64 in the SI unit named.
type (
	Mass     = unit.Mass   // kg
	Length   = unit.Length // m
	Speed    = unit.Velocity
	Volume   = unit.Volume   // m³
	Force    = unit.Force    // N
	Time     = unit.Time     // s
	Pressure = unit.Pressure // Pa
)

// Density is in kg/m³.
type Density float64

// Temperature is one, °C.
type Temperature float64

// Money is a sum in the region's own currency; no rates of exchange are known.
type Money float64

// What a car burns or draws stands as it is bought and read, not in SI: litres or kilowatt-hours, of 100 km where by
// distance; what driving costs, of a kilometre.
type (
	Fuel     float64 // l
	Energy   float64 // kWh
	FuelUse  float64 // l/100 km
	PowerUse float64 // kWh/100 km

	DriveCost float64 // money/km
	LitreCost float64 // money/l
)

// Rate is a price by weight, money/kg.
type Rate float64

// What flows and what a paint covers stand by the litre, as labels have it.
type (
	Flow  float64 // l/min
	Cover float64 // m²/l
)

// Gravity is the standard acceleration of free fall, m/s² (ISO 80000-3).
const Gravity = 9.80665

// Kind says what a bare number measures, and so how it is printed and read.
type Kind string

// The kinds of quantity that are shown to people.
const (
	KindMass     Kind = "mass"     // kg
	KindLength   Kind = "length"   // m, as one tapes it
	KindDistance Kind = "distance" // m, as one drives it
	KindSpeed    Kind = "speed"    // m/s
	KindShare    Kind = "share"    // 1, printed as per cent
	KindPressure Kind = "pressure" // Pa
	KindVolume   Kind = "volume"   // m³
	KindDensity  Kind = "density"  // kg/m³
	KindAngle    Kind = "angle"    // rad, printed in degrees
	KindCount    Kind = "count"    // 1
	KindMoney    Kind = "money"    // the region's currency
	KindRate     Kind = "rate"     // money per kg
	KindTime     Kind = "time"     // s, as hours of work
	KindForce    Kind = "force"    // N
	KindStress   Kind = "stress"   // Pa, in a bar or on a hull
	KindMoment   Kind = "moment"   // N·m, of a force about a place, or of a wrench

	KindFrequency Kind = "frequency" // Hz

	KindTemperature Kind = "temperature" // °C
	KindDifference  Kind = "difference"  // K, of temperatures
	KindVoltage     Kind = "voltage"     // V
	KindCurrent     Kind = "current"     // A

	KindFuel     Kind = "fuel"     // l, of what is bought and filled by it
	KindEnergy   Kind = "energy"   // kWh
	KindFuelUse  Kind = "fuelUse"  // l/100 km
	KindPowerUse Kind = "powerUse" // kWh/100 km

	KindDriveCost Kind = "driveCost" // money/km
	KindLitreCost Kind = "litreCost" // money/l

	KindArea  Kind = "area"  // m²
	KindFlow  Kind = "flow"  // l/min
	KindCover Kind = "cover" // m²/l
)

// System is the unit system in which quantities are printed, and in which a
// number typed without a unit is read.
type System string

// The two unit systems.
const (
	Metric   System = "metric"
	Imperial System = "imperial"
)

// Region chooses the rule set, the trade's words and how commas are read.
type Region string

// The regions whose rule sets are known.
const (
	NorthAmerica Region = "na"
	UK           Region = "uk"
	EU           Region = "eu"
	Australia    Region = "au"
	NewZealand   Region = "nz"
)

// Regions lists every region once, in the order in which they are offered.
var Regions = []Region{NorthAmerica, UK, EU, Australia, NewZealand}

// Locale is how one plan's quantities are written: its units and its region.
type Locale struct {
	Units  System `json:"units"`
	Region Region `json:"region"`
}

// Range is a quantity that is not known exactly: the nominal value and the
// least and greatest it can be. Low ≤ Nominal ≤ High.
type Range[Q ~float64] struct {
	Nominal Q `json:"nominal"`
	Low     Q `json:"low"`
	High    Q `json:"high"`
}

// Exactly is a range without doubt.
func Exactly[Q ~float64](v Q) Range[Q] { return Range[Q]{v, v, v} }

// Width is how far apart the range's ends lie.
func (r Range[Q]) Width() Q { return r.High - r.Low }

// Plus moves the whole range by d.
func (r Range[Q]) Plus(d Q) Range[Q] { return Range[Q]{r.Nominal + d, r.Low + d, r.High + d} }

// Over divides the range by a positive limit.
func (r Range[Q]) Over(limit Q) Range[Q] {
	return Range[Q]{r.Nominal / limit, r.Low / limit, r.High / limit}
}

// Floats drops the type, for printing.
func (r Range[Q]) Floats() Range[float64] {
	return Range[float64]{float64(r.Nominal), float64(r.Low), float64(r.High)}
}

// Finite reports whether v is neither NaN nor infinite.
func Finite(v float64) bool { return !math.IsNaN(v) && !math.IsInf(v, 0) }

// Exceeds reports a > b by more than the 1e-9 relative tolerance at which
// rule boundaries are compared.
func Exceeds(a, b float64) bool {
	return a-b > 1e-9*math.Max(1, math.Max(math.Abs(a), math.Abs(b)))
}
