package plan

import "zygonos/core/lang/quantity"

// MoneyPlan is what a trailer may cost and bring.
type MoneyPlan struct {
	Target *quantity.Money `json:"target,omitempty" is:"most that it may cost"`
	// what an hour of one's own is worth; nil: nothing
	HourRate *quantity.Money `json:"hourRate,omitempty" is:"worth of an hour"`
	// how long it is kept, how often it is used
	Years *float64 `json:"years,omitempty" is:"years that it is kept, 0.5..50"`
	Uses  *float64 `json:"uses,omitempty" is:"uses a year, >0..1000"`
	// what driving with it costs, of a kilometre
	PerDistance *quantity.DriveCost `json:"perDistance,omitempty" is:"cost by distance, 0..1000"`
	Ways        map[string]WayCost  `json:"ways,omitempty" is:"way" stage:"money/ways"`
	Jobs        map[string]EarnJob  `json:"jobs,omitempty" is:"job" stage:"money/earning"`
}

// WayCost is a way to get the same job done.
type WayCost struct {
	Order int     `json:"order"`
	Name  string  `json:"name" is:"name, text 200"`
	Kind  WayKind `json:"kind,omitempty" is:"kind of way"`
	// at the beginning; nil of what is built or bought here: by the ledger or the bill
	First  *quantity.Money `json:"first,omitempty" is:"cost at the beginning"`
	Hours  *quantity.Time  `json:"hours,omitempty" is:"hours at the beginning"`
	PerUse *quantity.Money `json:"perUse,omitempty" is:"cost of a use"`
	// of one's own time, for a use
	UseHours *quantity.Time  `json:"useHours,omitempty" is:"hours of a use"`
	PerYear  *quantity.Money `json:"perYear,omitempty" is:"cost of a year"`
	Resale   *quantity.Money `json:"resale,omitempty" is:"worth at the end"`
}

// WayKind says what a way is.
type WayKind string

// The kinds.
const (
	WayBuild   WayKind = "build"
	WayBuy     WayKind = "buy"
	WayConvert WayKind = "convert"
	WayHire    WayKind = "hire"
	WayDeliver WayKind = "deliver"
	WayBigger  WayKind = "bigger" // keep a bigger vehicle
	WayRoof    WayKind = "roof"
)

// WayKinds lists them.
var WayKinds = []WayKind{WayBuild, WayBuy, WayConvert, WayHire, WayDeliver, WayBigger, WayRoof}

// EarnJob is a job done for pay.
type EarnJob struct {
	Order int             `json:"order"`
	Name  string          `json:"name" is:"name, text 200"`
	Rate  *quantity.Money `json:"rate,omitempty" is:"pay of a job"`
	Fee   *quantity.Money `json:"fee,omitempty" is:"tip fee"`
	// there and back
	Far   *quantity.Length `json:"far,omitempty" is:"way of a job, distance 0..2000000"`
	Takes *quantity.Time   `json:"takes,omitempty" is:"hours of a job"`
	Often *float64         `json:"often,omitempty" is:"jobs a year, 0..2000"`
}
