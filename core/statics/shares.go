package statics

// Shares are what supports at places bear of a mass m with its centre at c, all in
// m behind one face: by levers on two; on three alike ones under a stiff hull
// m·(1/n + (c − x̄)(x − x̄)/Σ(x − x̄)²), which is the same for two.
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
