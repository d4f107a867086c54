package plan

import "zygonos/core/lang/quantity"

// Parked is how a trailer stands without its car: stored, or worked from.
type Parked struct {
	// under the drawbar: the jockey wheel, or two legs
	FrontAt    *length `json:"frontAt,omitempty" is:"place of the front support behind the ball, -1..10"`
	FrontApart *length `json:"frontApart,omitempty" is:"distance of the front legs, 0..3"`
	// legs or props under the tail, behind the headboard
	RearAt    *length `json:"rearAt,omitempty" is:"place of the rear legs, -5..50"`
	RearApart *length `json:"rearApart,omitempty" is:"distance of the rear legs, 0..3"`
	// people or machines that get on, and where they stand
	Extra *mass  `json:"extra,omitempty" is:"weight of who gets on"`
	Back  length `json:"back,omitempty" is:"place of who gets on, -5..50"`
	Right length `json:"right,omitempty" is:"place of who gets on, -3..3"`
	// gusts
	Wind *quantity.Speed `json:"wind,omitempty" is:"wind, >0..60"`
	// under the feet, and a foot's side (of its plate, or of a board under it)
	Soil string  `json:"soil,omitempty" is:"soil, key soils"`
	Foot *length `json:"foot,omitempty" is:"side of a foot, >0..1"`
	// loaded, for so many weeks
	Weeks *float64 `json:"weeks,omitempty" is:"weeks, count 0..500"`
}
