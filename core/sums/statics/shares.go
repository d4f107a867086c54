package statics

// Shares are what supports at places bear of a mass m with its centre at c, all in
// m behind one face: by levers on two; on three alike ones under a stiff hull
// m·(1/n + (c − x̄)(x − x̄)/Σ(x − x̄)²), which is the same for two. One that comes to less
// than zero would have to pull; see Bearing.
func Shares(m, c float64, frames []float64) []float64 {
	n := float64(len(frames))
	mean, squares := 0.0, 0.0
	for _, x := range frames {
		mean += x / n
	}
	for _, x := range frames {
		squares += (x - mean) * (x - mean)
	}
	out := make([]float64, len(frames))
	for i, x := range frames {
		out[i] = m / n
		if squares > 0 {
			out[i] += m * (c - mean) * (x - mean) / squares
		}
	}
	return out
}

// Bearing is Shares of supports that only push: one that would have to pull idles, the others
// bear it all, until none pulls. ok is false where fewer than two are left or the centre lies
// beyond them: it tips, and what is stated is as two would have it.
func Bearing(m, c float64, places []float64) (on []float64, ok bool) {
	on = make([]float64, len(places))
	var stands []int
	for i := range places {
		stands = append(stands, i)
	}
	for {
		at := make([]float64, len(stands))
		for k, i := range stands {
			at[k] = places[i]
		}
		clear(on)
		least, worst := -1e-9*m, -1
		for k, v := range Shares(m, c, at) {
			on[stands[k]] = v
			if v < least {
				least, worst = v, k
			}
		}
		switch {
		case worst < 0:
			return on, len(stands) > 1
		case len(stands) <= 2:
			return on, false
		}
		stands = append(stands[:worst], stands[worst+1:]...)
	}
}
