package route_test

import (
	"errors"
	"math"
	"math/rand/v2"
	"slices"
	"testing"

	"zygonos/core/sums/route"
)

func edge(a, b int, long float64) route.Edge { return route.Edge{A: a, B: b, Long: long, Cost: long} }

// Four corners of a square of 1 m with its middle: the two diagonals of 2·√2 = 2.828 m cost less than three sides;
// without the middle three sides do.
func TestSquare(t *testing.T) {
	h := math.Sqrt2 / 2
	g := &route.Graph{Nodes: 5, Edges: []route.Edge{
		edge(0, 1, 1), edge(1, 2, 1), edge(2, 3, 1), edge(3, 0, 1), edge(0, 4, h), edge(1, 4, h), edge(2, 4, h), edge(3, 4, h),
	}}
	got, err := route.Join(g, []int{0, 1, 2, 3})
	if err != nil || math.Abs(got.Long-4*h) > 1e-12 || len(got.Edges) != 4 || !got.Proven {
		t.Errorf("%+v %v", got, err)
	}
	g.Edges = g.Edges[:4]
	if got, _ = route.Join(g, []int{0, 1, 2, 3}); got.Long != 3 {
		t.Errorf("%+v", got)
	}
	// preferred, the side that is not in the tree comes in
	g.Edges[0].Cost, g.Edges[1].Cost, g.Edges[2].Cost = .3, .3, .3
	if got, _ = route.Join(g, []int{0, 3}); got.Long != 3 {
		t.Errorf("preferred: %+v", got)
	}
}

func TestBad(t *testing.T) {
	g := &route.Graph{Nodes: 3, Edges: []route.Edge{edge(0, 1, 1)}}
	var apart *route.ApartError
	if _, err := route.Join(g, []int{0, 1, 2}); !errors.As(err, &apart) || apart.Place != 2 {
		t.Errorf("%v", err)
	}
	for _, e := range []route.Edge{edge(0, 9, 1), edge(-1, 0, 1), edge(0, 1, -1), edge(0, 1, math.NaN())} {
		if _, err := route.Join(&route.Graph{Nodes: 3, Edges: []route.Edge{e}}, []int{0}); !errors.Is(err, route.ErrEdge) {
			t.Errorf("%+v: %v", e, err)
		}
	}
	if _, err := route.Join(g, []int{0, 7}); !errors.Is(err, route.ErrEdge) {
		t.Errorf("a place that is not there: %v", err)
	}
	if got, err := route.Join(g, nil); err != nil || len(got.Edges) != 0 {
		t.Errorf("no places: %+v %v", got, err)
	}
}

// joined reports whether some edges join all places.
func joined(g *route.Graph, edges []int, places []int) bool {
	group := make([]int, g.Nodes)
	for i := range group {
		group[i] = i
	}
	var find func(int) int
	find = func(i int) int {
		if group[i] != i {
			group[i] = find(group[i])
		}
		return group[i]
	}
	for _, e := range edges {
		group[find(g.Edges[e].A)] = find(g.Edges[e].B)
	}
	return !slices.ContainsFunc(places, func(p int) bool { return find(p) != find(places[0]) })
}

// On small random graphs the tree costs what the best of all subsets of edges costs; the way for many places stays
// within twice that; the paths lead there.
func TestBruteForce(t *testing.T) {
	rnd := rand.New(rand.NewPCG(1, 2))
	for range 300 {
		g := &route.Graph{Nodes: 4 + rnd.IntN(4)}
		for range 5 + rnd.IntN(7) {
			g.Edges = append(g.Edges, edge(rnd.IntN(g.Nodes), rnd.IntN(g.Nodes), float64(1+rnd.IntN(9))))
		}
		places := []int{0, 1, 2}
		if rnd.IntN(2) == 0 {
			places = append(places, 3)
		}
		best := math.Inf(1)
		for set := range 1 << len(g.Edges) {
			var edges []int
			cost := 0.0
			for i, e := range g.Edges {
				if set>>i&1 == 1 {
					edges, cost = append(edges, i), cost+e.Cost
				}
			}
			if cost < best && joined(g, edges, places) {
				best = cost
			}
		}
		got, err := route.Join(g, places)
		if math.IsInf(best, 1) {
			if err == nil {
				t.Fatalf("%+v: joined what is apart", g)
			}
			continue
		}
		if err != nil || math.Abs(got.Cost-best) > 1e-9 || !joined(g, got.Edges, places) {
			t.Fatalf("%+v: %+v %v, want %v", g, got, err, best)
		}
		for i, p := range g.Paths(got, places[0], places) {
			if i > 0 && (len(p) == 0 || !joined(g, p, []int{places[0], places[i]})) {
				t.Fatalf("%+v: path %v to %d", got, p, places[i])
			}
		}
	}
}

// Many places of a ladder: no more than twice the length that surely joins them, and all are joined.
func TestMany(t *testing.T) {
	g := ladder(20)
	var places []int
	for i := 0; i < g.Nodes; i += 3 {
		places = append(places, i)
	}
	got, err := route.Join(g, places)
	if err != nil || got.Proven || !joined(g, got.Edges, places) || got.Long > 2*20 {
		t.Errorf("%+v %v", got, err)
	}
}

// ladder has n rungs of 1.4 m at 0.5 m.
func ladder(n int) *route.Graph {
	g := &route.Graph{Nodes: 2 * n}
	for i := range n {
		g.Edges = append(g.Edges, edge(2*i, 2*i+1, 1.4))
		if i > 0 {
			g.Edges = append(g.Edges, edge(2*i-2, 2*i, .5), edge(2*i-1, 2*i+1, .5))
		}
	}
	return g
}

func BenchmarkEight(b *testing.B) {
	g := ladder(40)
	for b.Loop() {
		if _, err := route.Join(g, []int{0, 79, 78, 41, 40, 20, 13, 61}); err != nil {
			b.Fatal(err)
		}
	}
}
