// Package evidence weighs causes by what was seen: Bayes' rule with answers that are independent given the cause, and the
// question that tells most. Formulas: docs/method/trouble.md.
package evidence

import "math"

// Normal scales weights to a sum of one; where none is above zero they become alike.
func Normal(w []float64) {
	sum := 0.0
	for _, v := range w {
		sum += v
	}
	if !(sum > 0) {
		for i := range w {
			w[i] = 1 / float64(len(w))
		}
		return
	}
	for i := range w {
		w[i] /= sum
	}
}

// Entropy of normal weights, bits: −Σ p·log₂ p.
func Entropy(w []float64) (bits float64) {
	for _, p := range w {
		if p > 0 {
			bits -= p * math.Log2(p)
		}
	}
	return bits
}

// Gain is what a question is expected to tell, bits: the entropy before it less that after each of its answers, by how likely
// each is. likely(k, i) is the chance of answer k with cause i.
func Gain(weight []float64, answers int, likely func(k, i int) float64) float64 {
	left := 0.0
	post := make([]float64, len(weight))
	for k := range answers {
		p := 0.0
		for i := range weight {
			post[i] = weight[i] * likely(k, i)
			p += post[i]
		}
		if p > 0 {
			Normal(post)
			left += p * Entropy(post)
		}
	}
	return Entropy(weight) - left
}
