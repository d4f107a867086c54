package lashing_test

import (
	"math"
	"math/rand/v2"
	"testing"

	"zygonos/core/ask/lashing"
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

// Random forces that are allowed and in balance: ropes within their caps, corners that press
// and rub, mirrored about the middle plane. Weight, push and centre are what they balance;
// the programme must find at least as much.
func TestHoldFindsWhatIsFeasible(t *testing.T) {
	r := rand.New(rand.NewPCG(14, 92))
	compared, less := 0, 0
	for range 4000 {
		mu, p := 0.1+0.6*r.Float64(), float64(2*r.IntN(2)-1) // the push is p along x
		var ties []lashing.Tie
		var sumX, sumZ, moment float64 // of what holds it, about y
		force := func(x, z, fx, fz float64) {
			sumX, sumZ, moment = sumX+fx, sumZ+fz, moment+z*fx-x*fz
		}
		for _, x := range []float64{2, 3} {
			n := 100 * r.Float64()
			rubs := mu * n * (2*r.Float64() - 1) // what is left of the pyramid rubs across, left against right
			force(x, 0.5, 2*rubs, 2*n)
		}
		for range 1 + r.IntN(3) {
			hx, hy, hz := 2+r.Float64(), 0.4*r.Float64(), 0.5+r.Float64()
			px, py := 1+3*r.Float64(), 0.5+0.5*r.Float64()
			tie := lashing.Tie{Limit: 20 + 100*r.Float64()}
			tie.Pull = tie.Limit * r.Float64() / 2
			left, right := tie, tie
			left.Ends = []lashing.End{end(lashing.Vector{hx, -hy, hz}, lashing.Vector{px, -py, 0.45})}
			right.Ends = []lashing.End{end(lashing.Vector{hx, hy, hz}, lashing.Vector{px, py, 0.45})}
			ties = append(ties, left, right)
			along := right.Ends[0].Along
			most := tie.Pull
			if along[0]*p < -1e-3 {
				most = tie.Limit
			}
			pull := most * r.Float64()
			force(hx, hz, 2*pull*along[0], 2*pull*along[2])
		}
		mass, lambda := sumZ, -sumX*p/sumZ
		if mass < 10 || lambda < 0.02 {
			continue
		}
		cx := 2.1 + 0.8*r.Float64()
		cz := -(moment + cx*mass) / (lambda * mass * p)
		if cz < 0.55 || cz > 1.5 {
			continue
		}
		l := block(0, mu, ties...)
		l.Mass, l.Centre = mass, lashing.Vector{cx, 0, cz}
		got, err := lashing.Hold(l, lashing.Vector{p, 0, 0}, mu)
		if err != nil {
			t.Fatal(err)
		}
		if compared++; got.G < lambda-1e-6 {
			t.Errorf("forces hold %v, the programme %v", lambda, got.G)
		} else if got.G > lambda+1e-3 {
			less++
		}
	}
	if compared < 150 || less == 0 {
		t.Errorf("%d cases were compared, %d held more", compared, less)
	}
}

// One load with four straps over it, one direction.
func BenchmarkHold(b *testing.B) {
	over := lashing.Tie{Over: true, Limit: 500, Pull: 200, Ends: []lashing.End{
		end(lashing.Vector{2.5, -0.4, 1.5}, lashing.Vector{2.5, -0.6, 0.5}), end(lashing.Vector{2.5, 0.4, 1.5}, lashing.Vector{2.5, 0.6, 0.5})}}
	l := block(0.4, 0.3, over, over, over, over)
	for b.Loop() {
		if _, err := lashing.Hold(l, forward, 0.3); err != nil {
			b.Fatal(err)
		}
	}
}
