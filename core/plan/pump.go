package plan

import "zygonos/core/lang/quantity"

// Pump is a pump on the trailer with its hoses and nozzle, drawing from the tank that an outing carries.
type Pump struct {
	// by its label: the pressure that it gives without flow, the flow (l/min) that it gives without pressure
	TopPressure *quantity.Pressure `json:"topPressure,omitempty" is:"top pressure of the pump, >0..5e7"`
	OpenFlow    *quantity.Flow     `json:"openFlow,omitempty" is:"open flow of the pump, >0..2000"`
	// points between, where a curve is there
	Points map[string]PumpPoint `json:"points,omitempty" is:"point of the curve"`
	// the pump over the lowest water, and what its label lets it draw up
	Above    *length `json:"above,omitempty" is:"height of the pump over the water, -5..10"`
	DrawsUp  *length `json:"drawsUp,omitempty" is:"height that the pump draws up, 0..10"`
	InLong   *length `json:"inLong,omitempty" is:"length of the suction hose, 0..50"`
	InBore   *length `json:"inBore,omitempty" is:"bore of the suction hose, 0.003..0.2"`
	HoseLong *length `json:"hoseLong,omitempty" is:"length of the hose, 0..500"`
	HoseBore *length `json:"hoseBore,omitempty" is:"bore of the hose, 0.003..0.2"`
	// part of the hose lies on its reel
	Reel      bool    `json:"reel,omitempty"`
	Elbows    int     `json:"elbows,omitempty" is:"number of elbows, 0..50"`
	Couplings int     `json:"couplings,omitempty" is:"number of couplings, 0..50"`
	NozzleUp  *length `json:"nozzleUp,omitempty" is:"height of the nozzle over the pump, -50..50"`
	Nozzle    *length `json:"nozzle,omitempty" is:"bore of the nozzle, 0.0005..0.1"`
	// what one place takes, litres; how many places there are; litres a minute of the tap that fills the tank
	Litres *quantity.Fuel `json:"litres,omitempty" is:"what a place takes, >0..1e5"`
	Places *int           `json:"places,omitempty" is:"number of places, 1..10000"`
	Tap    *quantity.Flow `json:"tap,omitempty" is:"flow of the tap, >0..1000"`
	// what it draws while it runs
	Amps *float64 `json:"amps,omitempty" is:"current in amperes, >0..1000"`
	// minutes that it may run without a rest
	RunsFor *float64 `json:"runsFor,omitempty" is:"minutes that the pump runs at once, >0..1440"`
	// it freezes where it stands
	Frost   bool `json:"frost,omitempty"`
	Drained bool `json:"drained,omitempty"`
}

// PumpPoint is a point of a pump's curve.
type PumpPoint struct {
	Order    int               `json:"order"`
	Flow     quantity.Flow     `json:"flow" is:"flow, 0..2000"`
	Pressure quantity.Pressure `json:"pressure" is:"pressure at that flow, 0..5e7"`
}
