package stow

import (
	"math"
	"math/rand/v2"
	"testing"
)

var upright = []int{0, 90}

// yard is a deck of 3.0 × 1.5 m with n boxes of mixed sizes that cover a share of
// it, made from a seed; the moment is wanted about a third of a tenth.
func yard(n int, seed uint64, fill, grid float64) *Problem {
	random := rand.New(rand.NewPCG(seed, 7))
	p := &Problem{Length: 3, Width: 1.5, Grid: grid, Moment: 200, MostSide: 1e9}
	total, area := 0.0, 0.0
	for range n {
		b := Box{Length: 0.3 + 0.1*float64(random.IntN(6)), Width: 0.3 + 0.05*float64(random.IntN(6)), Height: 0.5, Mass: 5 + float64(random.IntN(80)), Turns: upright}
		area += b.Length * b.Width
		total += b.Mass
		p.Boxes = append(p.Boxes, b)
	}
	k := math.Sqrt(fill * p.Length * p.Width / area)
	for i := range p.Boxes {
		b := &p.Boxes[i]
		b.Length, b.Width = math.Round(b.Length*k*100)/100, math.Round(b.Width*k*100)/100
		b.CentreBack = b.Length / 2
	}
	p.Centre = 1.4
	p.Aim = p.Moment + total*p.Centre
	p.Low, p.High = p.Aim-0.1*total, p.Aim+0.1*total
	p.Steps = Steps{Own: 0.15 * (200 + 0.2*total), Side: 0.015 * total, Along: 0.02 * total}
	return p
}

// exhaustive is the least cost over every arrangement on the grid, counted from
// the same base.
func exhaustive(p *Problem, base float64) (best int, found bool) {
	q := *p
	q.Start = -base
	places := make([]Place, len(p.Boxes))
	put := make([]candidate, len(p.Boxes))
	best = math.MaxInt
	var at func(i int)
	at = func(i int) {
		if i == len(p.Boxes) {
			if n, ok := q.Cost(places); ok && n < best && (p.Accept == nil || p.Accept(places)) {
				best, found = n, true
			}
			return
		}
		for _, c := range p.candidates(&p.Boxes[i]) {
			free := true
			for k := range i {
				free = free && !c.overlaps(&put[k])
			}
			if free {
				places[i], put[i] = c.place, c
				at(i + 1)
			}
		}
	}
	at(0)
	return best, found
}

func TestAgainstExhaustiveSearch(t *testing.T) {
	random := rand.New(rand.NewPCG(3, 4))
	none, found := 0, 0
	for seed := range uint64(60) {
		p := yard(2+int(seed%2), seed, 0.25+0.3*random.Float64(), 0.3)
		p.Steps.Own /= 4
		switch seed % 5 {
		case 1: // something stands on the deck already
			p.Blocks = []Block{{Front: 0.2, Rear: 1.1, Left: -0.75, Right: 0.1, Under: 0.4 * float64(seed%2)}}
		case 2: // weight lies to one side, and little of it is allowed
			p.Side, p.MostSide = 15, 12
		case 3: // bounds that are hard to keep
			p.Low, p.High = p.Aim+20, p.Aim+25
			for i := range p.Boxes {
				p.Boxes[i].CentreRight = 0.05
				p.Boxes[i].Turns = []int{0, 90, 180, 270}
			}
			p.Boxes = p.Boxes[:2]
		case 4: // least shifting
			p.Own = Moves
			p.Steps.Own = 3
			for i := range p.Boxes {
				p.Boxes[i].Was = &Place{Back: 0.3 * float64(i), Right: 0.2}
			}
		}
		if seed%3 == 0 { // hulls that reach beyond the sides
			for i := range p.Boxes {
				p.Boxes[i].Beside, p.Boxes[i].Width = 0.3, p.Boxes[i].Width+0.4
			}
		}
		if seed%7 == 0 {
			p.Boxes[1] = p.Boxes[0] // twins
		}
		if seed%11 == 0 {
			p.Accept = func(places []Place) bool { return places[0].Back > 0.7 }
		}
		r := p.Search(math.MaxInt, nil, nil)
		if !r.Proven {
			t.Fatalf("seed %d: not proven", seed)
		}
		want, possible := exhaustive(p, r.Base)
		if possible != (r.Places != nil) {
			t.Errorf("seed %d: possible %v, found %v", seed, possible, r.Places)
			continue
		}
		if !possible {
			none++
			continue
		}
		found++
		if r.Cost != want {
			t.Errorf("seed %d: cost %d, exhaustive %d", seed, r.Cost, want)
		}
		sound(t, p, r)
	}
	if none < 3 || found < 30 {
		t.Errorf("%d possible, %d not: the cases do not try both", found, none)
	}
}

// sound holds a result against what was asked: inside, without overlap, within
// the bounds.
func sound(t *testing.T, p *Problem, r Result) {
	t.Helper()
	var put []candidate
	for i, place := range r.Places {
		b := &p.Boxes[i]
		c := p.candidate(b, place)
		if p.blocked(b, &c) && b.Fixed == nil || c.left < -p.Width/2-b.Beside-1e-9 || c.right > p.Width/2+b.Beside+1e-9 || c.front < -p.Ahead-1e-9 || c.rear > p.Length+p.Behind+1e-9 {
			t.Errorf("box %d stands at %+v", i, c)
		}
		for k := range put {
			if c.overlaps(&put[k]) {
				t.Errorf("boxes %d and %d overlap", i, k)
			}
		}
		put = append(put, c)
	}
	q := *p
	q.Start = -r.Base
	if n, ok := q.Cost(r.Places); !ok || n != r.Cost {
		t.Errorf("cost %d %v, said %d", n, ok, r.Cost)
	}
}

// One box of 100 kg, 0.4 m square, on a deck of 2 m: its middle is wanted at
// 1.1 m, so at rest 200 + 110; at the front edge its moment is 200 + 20.
func TestOneBox(t *testing.T) {
	p := &Problem{Length: 2, Width: 1, Grid: 0.05, Boxes: []Box{{Length: 0.4, Width: 0.4, Mass: 100, CentreBack: 0.2, Turns: []int{0}}},
		Moment: 200, Low: 250, High: 350, Aim: 310, MostSide: 100, Centre: 1.1, Steps: Steps{Own: 0.1, Side: 0.1, Along: 0.1}}
	r := p.Search(1000, nil, nil)
	if !r.Proven || len(r.Places) != 1 || math.Abs(r.Places[0].Back-0.9) > 1e-9 || math.Abs(r.Places[0].Right) > 1e-9 || r.Cost != 0 {
		t.Errorf("%+v", r)
	}
	if least, most := p.Reach(); math.Abs(least-220) > 1e-9 || math.Abs(most-380) > 1e-9 {
		t.Errorf("reach %v to %v, want 220 to 380", least, most)
	}
	p.Low, p.High = 400, 500
	if r := p.Search(1000, nil, nil); r.Places != nil || !r.Proven {
		t.Errorf("out of reach: %+v", r)
	}
	p.Boxes[0].Width = 1.3
	if narrow, short := p.Misfit(0); math.Abs(narrow-0.3) > 1e-9 || short != 0 || p.Shut() != 0 {
		t.Errorf("too wide by %v, too long by %v", narrow, short)
	}
	// Turned, 1.3 m along and 0.4 across, it fits.
	p.Boxes[0].Turns = upright
	if narrow, short := p.Misfit(0); narrow != 0 || short != 0 || p.Shut() != -1 {
		t.Errorf("turned: too wide by %v, too long by %v", narrow, short)
	}
	// 3.0 m on 2 m with 0.2 ahead and 0.5 behind is 0.3 too long.
	p.Boxes[0] = Box{Length: 3, Width: 0.4, Mass: 10, CentreBack: 1.5, Turns: []int{0}}
	p.Ahead, p.Behind = 0.2, 0.5
	if _, short := p.Misfit(0); math.Abs(short-0.3) > 1e-9 {
		t.Errorf("too long by %v", short)
	}
}

func TestStopsAndTells(t *testing.T) {
	p := yard(8, 2, 0.55, 0.05)
	asked, told := 0, 0
	r := p.Search(1_000_000, func() bool { asked++; return asked > 3 }, func(n int) { told = n })
	if r.Proven || r.Nodes > 8*lookEvery || told == 0 {
		t.Errorf("stopped after %d nodes, told of %d", r.Nodes, told)
	}
	p = yard(8, 2, 0.4, 0.05)
	a, b := p.Search(20_000, nil, nil), p.Search(20_000, nil, nil)
	if a.Places == nil || a.Cost != b.Cost || a.Nodes != b.Nodes || a.Places[0] != b.Places[0] {
		t.Error("the same budget gives another answer")
	}
	if a.Cost < a.Bound {
		t.Errorf("cost %d under its bound %d", a.Cost, a.Bound)
	}
}

// The bound on the own sum: no arrangement of boxes that do not overlap has less.
func TestBaseIsABound(t *testing.T) {
	random := rand.New(rand.NewPCG(5, 6))
	for seed := range uint64(30) {
		p := yard(5, seed, 0.5, 0.1)
		base := p.Search(1, nil, nil).Base
		for range 200 { // boxes thrown on the deck
			var put []candidate
			sum := 0.0
			for i := range p.Boxes {
				list := p.candidates(&p.Boxes[i])
				c := list[random.IntN(1+random.IntN(len(list)))]
				ok := true
				for k := range put {
					ok = ok && !c.overlaps(&put[k])
				}
				if !ok {
					break
				}
				put, sum = append(put, c), sum+c.cost
			}
			if len(put) == len(p.Boxes) && sum < base-1e-9 {
				t.Errorf("seed %d: %v under the bound %v", seed, sum, base)
			}
		}
	}
}

// A box of 0.1 m on a deck of 3 × 2 m has 59 · 39 = 2301 places on 50 mm, in two turns
// 4602: its grid is doubled, and stated.
func TestCoarserGrid(t *testing.T) {
	p := &Problem{Length: 3, Width: 2, Grid: 0.05, Boxes: []Box{{Length: 0.1, Width: 0.1, Mass: 10, CentreBack: 0.05, Turns: upright}}, High: 100, MostSide: 100}
	if r := p.Search(100, nil, nil); r.Grid != 0.1 {
		t.Errorf("grid %v", r.Grid)
	}
	p.Boxes[0].Turns = []int{0}
	if r := p.Search(100, nil, nil); r.Grid != 0.05 {
		t.Errorf("grid %v", r.Grid)
	}
}

func TestTwenty(t *testing.T) {
	p := yard(20, 1, 0.5, 0.05)
	r := p.Search(60_000, nil, nil)
	if r.Places == nil {
		t.Fatal("none found")
	}
	sound(t, p, r)
}

func BenchmarkEight(b *testing.B) {
	for _, fill := range []struct {
		name string
		of   float64
	}{{"third-covered", 0.33}, {"half-covered", 0.5}} {
		b.Run(fill.name, func(b *testing.B) {
			nodes, proven := 0, 0
			for b.Loop() {
				for seed := range uint64(4) {
					r := yard(8, seed+3, fill.of, 0.05).Search(1_200_000, nil, nil)
					nodes += r.Nodes
					if r.Proven {
						proven++
					}
				}
			}
			b.ReportMetric(float64(nodes)/float64(4*b.N), "nodes/search")
			b.ReportMetric(float64(proven)/float64(4*b.N), "proven")
			b.ReportMetric(b.Elapsed().Seconds()/float64(4*b.N), "s/search")
		})
	}
}

func BenchmarkTwenty(b *testing.B) {
	cost := 0
	for b.Loop() {
		cost = yard(20, 1, 0.5, 0.05).Search(120_000, nil, nil).Cost
	}
	b.ReportMetric(float64(cost), "steps")
}

// Two hulls 0.9 m wide on a deck of 1.25: beside each other they are 1.8 m, which takes 0.275 m
// beyond each side, their middles 0.45 m from the deck's: 0.175 m within its side.
func TestBesideTheDeck(t *testing.T) {
	for _, c := range []struct {
		deck, beside float64
		fits         bool
	}{{1.25, 0.28, true}, {1.25, 0.27, false}, {1.0, 0.6, false}, {1.1, 0.35, true}, {1.25, 0, false}} {
		hull := Box{Length: 2, Width: 0.9, Mass: 30, CentreBack: 1, Turns: []int{0}, Beside: c.beside}
		p := &Problem{Length: 2, Width: c.deck, Grid: 0.05, Boxes: []Box{hull, hull}, High: 100, MostSide: 100, Steps: Steps{Own: 1, Side: 1}}
		r := p.Search(math.MaxInt, nil, nil)
		if (r.Places != nil) != c.fits {
			t.Errorf("%+v: %+v", c, r.Places)
			continue
		}
		if c.fits && (math.Abs(math.Abs(r.Places[0].Right)-0.45) > 0.05 || math.Abs(r.Places[0].Right-r.Places[1].Right) < 0.9-1e-9) {
			t.Errorf("%+v: %+v", c, r.Places)
		}
	}
}
