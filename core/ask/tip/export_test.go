package tip

// OnDrum is the pull on the drum at one of the swept angles, kg.
func OnDrum(s *Setup, i int) float64 { return s.onDrum(s.Swept[i].Pull) }

// Ball is the ball load at an angle.
func Ball(s *Setup, angle float64) (float64, bool) { return s.ball(angle) }
