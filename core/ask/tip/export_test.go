package tip

// OnDrum is the pull on the drum at one of the swept angles, kg.
func OnDrum(s *Setup, i int) float64 { return s.onDrum(s.Swept[i].Pull) }

// Ball is the ball load at an angle.
func Ball(s *Setup, angle float64) (float64, bool) { return s.ball(angle) }

// Sliding is the pull as the load slides off, N.
func Sliding(s *Setup, angle float64) float64 {
	n, _ := s.sliding(angle)
	return n
}

// Pull is the pull with the weights at their most, N.
func Pull(s *Setup, angle float64) float64 {
	f, _ := s.gear.Hold(s.heavy, angle)
	return f.Pull
}

// Likely is the pull with the weights as they are likely, N.
func Likely(s *Setup, angle float64) float64 {
	f, _ := s.gear.Hold(s.likely, angle)
	return f.Pull
}
