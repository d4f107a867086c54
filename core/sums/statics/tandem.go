package statics

// Tandem is what axles on springs of their own, without an equaliser, bear, kg, and the
// ball with them, when the ball stands dz above where the trailer rides level: with the
// mass m, the moment M of all masses about the ball, the springs' rate k of one axle
// (kg/m), and the axles at xᵢ, m behind the ball,
//
//	F_i = M/Σx − k·dz·(1 − x_i·Σx/Σx²),  R_ball = m − ΣF
//
// An axle that would have to pull lifts off, and the others bear the rest: measured from
// where no spring bears, level is M/(k·Σx) lower, and F_i = x_i·(M + k·z·Σx)/Σx² − k·z over
// those that stand, z = dz − M/(k·Σx). Derived in docs/method/stance.md.
func Tandem(mass, moment, rate float64, at []float64, dz float64) (axles []float64, ball float64) {
	axles = make([]float64, len(at))
	sum := 0.0
	for _, x := range at {
		sum += x
	}
	z := dz - moment/(rate*sum)
	stands := make([]bool, len(at))
	for i := range stands {
		stands[i] = true
	}
	for range at {
		sum, squares, n := 0.0, 0.0, 0
		for i, x := range at {
			if stands[i] {
				sum, squares, n = sum+x, squares+x*x, n+1
			}
		}
		least, worst := 0.0, -1
		for i, x := range at {
			if axles[i] = 0; !stands[i] {
				continue
			}
			axles[i] = x*(moment+rate*z*sum)/squares - rate*z
			if axles[i] < least && n > 1 {
				least, worst = axles[i], i
			}
		}
		if worst < 0 {
			break
		}
		stands[worst] = false
	}
	ball = mass
	for _, f := range axles {
		ball -= f
	}
	return axles, ball
}
