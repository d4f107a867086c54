package rig

import "zygonos/core/plan"

// Vertical shock, times the weight at rest (practice, C).
const (
	shockRoad  = 2.0
	shockTrack = 3.0
)

// Shock is how many times its weight at rest a thing may press in a pothole, by the
// outing's road.
func (r *Rig) Shock() float64 {
	if r.Outing != nil && r.Outing.Road == plan.RoadTrack {
		return shockTrack
	}
	return shockRoad
}
