// Package route finds how a cable with branches runs along the members of a frame: the shortest tree that joins
// given places. Formulas: docs/method/route.md.
package route

import (
	"container/heap"
	"errors"
	"fmt"
	"math"
	"math/bits"
	"slices"
)

// Edge joins two nodes. Cost is what the tree is chosen by: its length, or less where it is preferred.
type Edge struct {
	A, B int
	Long float64 // m
	Cost float64
}

// Graph is nodes 0 … Nodes−1 joined by edges.
type Graph struct {
	Nodes int
	Edges []Edge
}

// Tree joins places.
type Tree struct {
	Edges  []int // indexes into the graph's
	Cost   float64
	Long   float64 // m
	Proven bool    // none costs less
}

// ErrEdge is an edge that goes to nowhere or costs less than nothing.
var ErrEdge = errors.New("an edge goes to nowhere, or its cost makes no sense")

// ApartError names a place that nothing joins to the first one.
type ApartError struct{ Place int }

func (e *ApartError) Error() string { return fmt.Sprintf("nothing leads to place %d", e.Place) }

// Exactly is up to how many places a tree is proven.
const Exactly = 8

// Join finds the tree of least cost that joins the places (nodes). Up to Exactly places by dynamic programming
// over their subsets (Dreyfus and Wagner 1971): with S(T, v) the least tree that joins the set T with node v,
//
//	S(T, v) = min( S(T', v) + S(T \ T', v),  S(T, u) + d(u, v) )
//
// for more, from each place in turn the nearest one joined next (Takahashi and Matsuyama 1980), the best of
// all beginnings kept: at most twice the least. Errors: ErrEdge, *ApartError.
func Join(g *Graph, places []int) (*Tree, error) {
	near, err := g.near()
	if err != nil {
		return nil, err
	}
	at := slices.Compact(slices.Sorted(slices.Values(places)))
	for _, p := range at {
		if p < 0 || p >= g.Nodes {
			return nil, ErrEdge
		}
	}
	if len(at) < 2 {
		return &Tree{Proven: true}, nil
	}
	from := g.far(near, []int{at[0]}, nil)
	for i, p := range places {
		if math.IsInf(from.cost[p], 1) {
			return nil, &ApartError{i}
		}
	}
	var edges []int
	if len(at) <= Exactly {
		edges = g.exact(near, at)
	} else {
		edges = g.nearest(near, at)
	}
	t := &Tree{Edges: edges, Proven: len(at) <= Exactly}
	for _, e := range edges {
		t.Cost += g.Edges[e].Cost
		t.Long += g.Edges[e].Long
	}
	return t, nil
}

// near are the edges at each node.
func (g *Graph) near() ([][]int, error) {
	out := make([][]int, max(0, g.Nodes))
	for i, e := range g.Edges {
		ok := e.A >= 0 && e.B >= 0 && e.A < g.Nodes && e.B < g.Nodes && e.Cost >= 0 && !math.IsInf(e.Cost, 1)
		if !ok {
			return nil, ErrEdge
		}
		out[e.A] = append(out[e.A], i)
		out[e.B] = append(out[e.B], i)
	}
	return out, nil
}

func (e *Edge) other(n int) int {
	if n == e.A {
		return e.B
	}
	return e.A
}

// reach is how far each node is, and by which edge it is come to.
type reach struct {
	cost []float64
	by   []int
}

type step struct {
	node int
	cost float64
}

type queue []step

func (q queue) Len() int           { return len(q) }
func (q queue) Less(i, j int) bool { return q[i].cost < q[j].cost }
func (q queue) Swap(i, j int)      { q[i], q[j] = q[j], q[i] }
func (q *queue) Push(x any)        { *q = append(*q, x.(step)) }
func (q *queue) Pop() any {
	old := *q
	x := old[len(old)-1]
	*q = old[:len(old)-1]
	return x
}

// far is Dijkstra's reach from nodes, each with a cost of its own (nil: none).
func (g *Graph) far(near [][]int, from []int, own []float64) reach {
	r := reach{make([]float64, g.Nodes), make([]int, g.Nodes)}
	for i := range r.cost {
		r.cost[i], r.by[i] = math.Inf(1), -1
	}
	q := queue{}
	for i, n := range from {
		c := 0.0
		if own != nil {
			c = own[i]
		}
		if c < r.cost[n] {
			r.cost[n] = c
			q = append(q, step{n, c})
		}
	}
	heap.Init(&q)
	for len(q) > 0 {
		s := heap.Pop(&q).(step)
		if s.cost > r.cost[s.node] {
			continue
		}
		for _, i := range near[s.node] {
			e := &g.Edges[i]
			n := e.other(s.node)
			if c := s.cost + e.Cost; c < r.cost[n] {
				r.cost[n], r.by[n] = c, i
				heap.Push(&q, step{n, c})
			}
		}
	}
	return r
}

// exact is the programme over subsets of all places but the last.
func (g *Graph) exact(near [][]int, at []int) []int {
	k := len(at) - 1
	full := 1<<k - 1
	best := make([]reach, full+1)
	split := make([][]int, full+1) // the part of a set that joins the rest at a node; 0: none
	for set := 1; set <= full; set++ {
		var from []int
		var own []float64
		split[set] = make([]int, g.Nodes)
		if bits.OnesCount(uint(set)) == 1 {
			from, own = []int{at[bits.TrailingZeros(uint(set))]}, nil
		} else {
			for v := range g.Nodes {
				least := math.Inf(1)
				for part := (set - 1) & set; part > 0; part = (part - 1) & set {
					if part < set-part {
						break // each pair of parts once
					}
					if c := best[part].cost[v] + best[set-part].cost[v]; c < least {
						least, split[set][v] = c, part
					}
				}
				if !math.IsInf(least, 1) {
					from, own = append(from, v), append(own, least)
				}
			}
		}
		best[set] = g.far(near, from, own)
	}
	used := map[int]bool{}
	var walk func(set, v int)
	walk = func(set, v int) {
		for {
			e := best[set].by[v]
			if e < 0 {
				break
			}
			used[e] = true
			v = g.Edges[e].other(v)
		}
		if part := split[set][v]; part > 0 {
			walk(part, v)
			walk(set-part, v)
		}
	}
	walk(full, at[k])
	out := make([]int, 0, len(used))
	for e := range used {
		out = append(out, e)
	}
	slices.Sort(out)
	return out
}

// nearest joins the nearest place next, from every beginning.
func (g *Graph) nearest(near [][]int, at []int) (out []int) {
	least := math.Inf(1)
	for _, first := range at {
		tree := []int{first}
		in := map[int]bool{first: true}
		var edges []int
		cost := 0.0
		for left := len(at) - 1; left > 0; {
			r := g.far(near, tree, nil)
			next, c := -1, math.Inf(1)
			for _, p := range at {
				if !in[p] && r.cost[p] < c {
					next, c = p, r.cost[p]
				}
			}
			if next < 0 {
				break
			}
			cost += c
			for v := next; r.by[v] >= 0; v = g.Edges[r.by[v]].other(v) {
				edges = append(edges, r.by[v])
				if !in[v] {
					in[v] = true
					tree = append(tree, v)
				}
			}
			left = 0
			for _, p := range at {
				if !in[p] {
					left++
				}
			}
		}
		if cost < least {
			least, out = cost, edges
		}
	}
	slices.Sort(out)
	return slices.Compact(out)
}

// Paths are the edges from one node to each of others along a tree, in order; nil where it does not lead there.
func (g *Graph) Paths(t *Tree, from int, to []int) [][]int {
	sub := Graph{Nodes: g.Nodes}
	for _, e := range t.Edges {
		sub.Edges = append(sub.Edges, g.Edges[e])
	}
	out := make([][]int, len(to))
	near, err := sub.near()
	if err != nil || from < 0 || from >= g.Nodes {
		return out
	}
	r := sub.far(near, []int{from}, nil)
	for i, p := range to {
		if p < 0 || p >= g.Nodes || math.IsInf(r.cost[p], 1) {
			continue
		}
		for v := p; r.by[v] >= 0; v = sub.Edges[r.by[v]].other(v) {
			out[i] = append(out[i], t.Edges[r.by[v]])
		}
		slices.Reverse(out[i])
	}
	return out
}
