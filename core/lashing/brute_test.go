package lashing_test

import (
	"math"
	"math/rand/v2"
	"testing"

	"zygonos/core/lashing"
)

// slide is the most g forward of a block in its middle plane with one rope from (hx, hz) of
// its own frame (hx behind its front edge) pulling with t kg per kg of weight along (ax, az):
// it slips at t·ax + μN, it tips about its front edge when the rear edge bears nothing.
func slide(length, height, mu, hx, hz, ax, az, t float64) float64 {
	n := 1 - t*az
	if n < 0 {
		return math.Inf(-1)
	}
	slips := t*ax + mu*n
	// Moments about the front lower edge, rearward over turning positive: the weight at the middle
	// and the rope hold, λ at the centre's height tips.
	holds := length/2 + t*(ax*hz-az*hx)
	if holds < 0 {
		return math.Inf(-1)
	}
	return math.Min(slips, holds/height)
}

// The programme against a walk over every pull of the rope.
func TestHoldAgainstBruteForce(t *testing.T) {
	r := rand.New(rand.NewPCG(21, 4))
	compared := 0
	for range 200 {
		mu, height := 0.05+0.6*r.Float64(), 0.15+0.8*r.Float64()
		hx, hz := r.Float64(), r.Float64()
		angle := -math.Pi/2 + math.Pi/2*r.Float64() // back and down
		ax, az := math.Cos(angle), math.Sin(angle)
		limit := 10 + 80*r.Float64()
		if ax < 0.01 {
			continue
		}
		hold := lashing.Vector{2 + hx, 0, 0.5 + hz}
		point := lashing.Vector{hold[0] + ax, 0, hold[2] + az}
		tie := lashing.Tie{Limit: limit, Pull: limit / 3, Ends: []lashing.End{end(hold, point)}}
		got, err := lashing.Hold(block(height, mu, tie), forward, mu)
		if err != nil {
			t.Fatal(err)
		}
		want := math.Inf(-1)
		for i := 0; i <= 4000; i++ {
			want = math.Max(want, slide(1, height, mu, hx, hz, ax, az, limit/100*float64(i)/4000))
		}
		if math.IsInf(want, 0) {
			continue
		}
		compared++
		near(t, "held", got.G, want, 2e-3)
	}
	if compared < 100 {
		t.Errorf("only %d cases were compared", compared)
	}
}

// Straps over the top: both ends pull at most their limit across, at least half of each other;
// forward only what the tightener left presses. Against a walk over both pulls.
func TestOverAgainstBruteForce(t *testing.T) {
	r := rand.New(rand.NewPCG(3, 9))
	for range 60 {
		mu, pull := 0.1+0.5*r.Float64(), 10+60*r.Float64()
		lean := 0.05 + 0.5*r.Float64() // of the rope, outward
		n := math.Hypot(lean, 1)
		over := lashing.Tie{Over: true, Limit: 4 * pull, Pull: pull, Ends: []lashing.End{
			end(lashing.Vector{2.5, -0.4, 1.5}, lashing.Vector{2.5, -0.4 - lean, 0.5}), end(lashing.Vector{2.5, 0.4, 1.5}, lashing.Vector{2.5, 0.4 + lean, 0.5})}}
		got, err := lashing.Hold(block(0.05, mu, over), forward, mu)
		if err != nil {
			t.Fatal(err)
		}
		// The centre is low, so that it slips: μ·(1 + 2·pull·cos/100).
		near(t, "forward", got.G, math.Min(mu*(1+2*pull/n/100), 0.5*(1+2*pull/n/100)/0.05), 1e-4)
		got, err = lashing.Hold(block(0.05, mu, over), right, mu)
		if err != nil {
			t.Fatal(err)
		}
		// To the right the left rope is drawn longer: up to four pulls; the right one goes slack, but
		// keeps half of the left one's and has no more than its own pull.
		best := 0.0
		for i := 0; i <= 800; i++ {
			for k := 0; k <= 200; k++ {
				a, b := 4*pull*float64(i)/800, pull*float64(k)/200
				if b < 0.5*a-1e-9 || a < 0.5*b-1e-9 {
					continue
				}
				slips := (a-b)*lean/n/100 + mu*(1+(a+b)/n/100)
				best = math.Max(best, slips)
			}
		}
		if got.Gives == "tips" {
			continue
		}
		near(t, "right", got.G, best, 0.01)
	}
}
