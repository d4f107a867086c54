package rig

import "zygonos/core/plan"

// mount fits the ball mount that the car takes: what is stated of its ball replaces what is
// stated of the car's.
func (r *Rig) mount() {
	m, ok := r.Plan.BallMounts[r.Vehicle.Mount]
	if !ok {
		return
	}
	r.Mount = &m
	if m.BallSize != nil {
		r.Vehicle.BallSize = m.BallSize
	}
	if m.BallHeight != nil {
		r.Vehicle.BallHeight = m.BallHeight
	}
	if m.BallRating != nil {
		r.Vehicle.BallRating = m.BallRating
	}
}

// VehiclePath is where a field of the car, or of the ball that its mount brings, is stated.
func (r *Rig) VehiclePath(field string) string {
	if r.Mount != nil && mounted(r.Mount, field) {
		return "/ballMounts/" + r.Vehicle.Mount + "/" + field
	}
	return "/towVehicles/" + r.VehicleID + "/" + field
}

func mounted(m *plan.BallMount, field string) bool {
	switch field {
	case "ballSize":
		return m.BallSize != nil
	case "ballHeight":
		return m.BallHeight != nil
	case "ballRating":
		return m.BallRating != nil
	}
	return false
}
