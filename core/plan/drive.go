package plan

import "zygonos/core/lang/quantity"

// Thirst is what a car burns or draws.
type Thirst struct {
	By CarFuel `json:"by,omitempty" is:"fuel"`
	// alone, as its driver knows it, at that speed; nil: 90 km/h
	Burns *quantity.FuelUse  `json:"burns,omitempty" is:"fuel by distance, >0..60"`
	Draws *quantity.PowerUse `json:"draws,omitempty" is:"energy by distance, >0..150"`
	At    *quantity.Speed    `json:"at,omitempty" is:"speed, 5..60"`
	// full: what can be used
	Tank    *quantity.Fuel   `json:"tank,omitempty" is:"fuel of a full tank, >0..500"`
	Battery *quantity.Energy `json:"battery,omitempty" is:"energy of a full battery, >0..500"`
	// of a litre or kilowatt-hour
	Price *quantity.Money `json:"price,omitempty" is:"price of a litre or kilowatt-hour"`
	// what trips showed against the sum
	Factor *float64 `json:"factor,omitempty" is:"factor of the trips, 0.5..2"`
}

// CarFuel is what drives a car.
type CarFuel string

// The fuels.
const (
	Petrol   CarFuel = "petrol"
	Diesel   CarFuel = "diesel"
	Electric CarFuel = "electric"
)

// CarFuels lists them.
var CarFuels = []CarFuel{Petrol, Diesel, Electric}

// Driving is how an outing is driven: its stretches, or its distance at its speed where there are none.
type Driving struct {
	Stretches map[string]Stretch `json:"stretches,omitempty" is:"stretch"`
	// from ahead on the way out
	Headwind *quantity.Speed `json:"headwind,omitempty" is:"headwind, -25..25"`
	Home     DriveHome       `json:"home,omitempty" is:"way home"`
	// of the tank or battery: when it begins, and what is to be left
	Begins *float64 `json:"begins,omitempty" is:"how full it is when it begins, share 0..1"`
	Spare  *float64 `json:"spare,omitempty" is:"what is to be left, share 0..0.9"`
}

// Stretch is a part of a way.
type Stretch struct {
	Order int             `json:"order"`
	Name  string          `json:"name,omitempty" is:"name, text 200"`
	Far   *length         `json:"far,omitempty" is:"distance, distance >0..2e6"`
	Speed *quantity.Speed `json:"speed,omitempty" is:"speed, 1..60"`
	// all climbs and all descents on it
	Climb *length `json:"climb,omitempty" is:"climb, 0..9000"`
	Drop  *length `json:"drop,omitempty" is:"descent, 0..9000"`
	Stops int     `json:"stops,omitempty" is:"number of stops, 0..1000"`
}

// DriveHome says how one comes home.
type DriveHome string

// The ways home.
const (
	HomeEmpty  DriveHome = "empty"
	HomeLoaded DriveHome = "loaded"
)

// DriveHomes lists them.
var DriveHomes = []DriveHome{HomeEmpty, HomeLoaded}
