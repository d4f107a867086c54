package study_test

import (
	"context"
	"fmt"
	"math"
	"math/rand/v2"
	"strings"
	"testing"

	"zygonos/core/lang/finding"
	"zygonos/core/plan"
	"zygonos/core/review"
	"zygonos/core/study"
)

// mirror turns a plan over: what lay on the left lies on the right.
func mirror(p *plan.Plan) {
	spot := func(s plan.Spot) plan.Spot { s.Right = -s.Right; return s }
	centre := func(c plan.Centre) plan.Centre {
		if c.Right != nil {
			e := *c.Right
			e.Value = -e.Value
			c.Right = &e
		}
		return c
	}
	for id, l := range p.Loads {
		l.Centre = centre(l.Centre)
		for k, c := range l.Contents {
			c.At = spot(c.At)
			l.Contents[k] = c
		}
		p.Loads[id] = l
	}
	for id, x := range p.Parts {
		x.Centre = centre(x.Centre)
		for k, s := range x.Slots {
			s.At = spot(s.At)
			x.Slots[k] = s
		}
		p.Parts[id] = x
	}
	for id, t := range p.Trailers {
		for k, x := range t.TiePoints {
			x.At = spot(x.At)
			t.TiePoints[k] = x
		}
		t.Empty.Left, t.Empty.Right = t.Empty.Right, t.Empty.Left
		p.Trailers[id] = t
	}
	turned := map[int]int{90: 270, 270: 90, 180: 180}
	for id, o := range p.Outings {
		for k, l := range o.Layouts {
			for i, x := range l.Parts {
				x.At, x.Turn = spot(x.At), turned[x.Turn]
				l.Parts[i] = x
			}
			for i, x := range l.Placements {
				x.At, x.Turn = spot(x.At), turned[x.Turn]
				l.Placements[i] = x
			}
			for i, x := range l.Lashings {
				x.Hold = spot(x.Hold)
				l.Lashings[i] = x
			}
			o.Layouts[k] = l
		}
		p.Outings[id] = o
	}
}

// A rig and its mirror image get the same answers to every question, left for right.
func TestMirrored(t *testing.T) {
	long(t)
	r := rand.New(rand.NewPCG(7, 14))
	compared := 0
	for k := range 25 {
		p := randomRig(t, r)
		for i, turn := range []int{0, 90, 180, 270} { // some things stand across, heavier on one side
			id := fmt.Sprintf("l%d", i)
			l, ok := p.Loads[id]
			pl := p.Outings["o"].Layouts["t"].Placements[id]
			if !ok || l.Kind != "" {
				continue
			}
			pl.Turn = turn
			p.Outings["o"].Layouts["t"].Placements[id] = pl
			l.Centre.Right = &plan.LengthEstimate{Value: 0.05, How: plan.Weighed}
			l.Contents = map[string]plan.Content{"c": {Order: 1, Name: "In it", Mass: &plan.MassEstimate{Value: 12, How: plan.Weighed}, At: plan.Spot{Back: 0.1, Right: 0.1, Up: 0.2}}}
			p.Loads[id] = l
		}
		if ties := study.PlanTies(context.Background(), clone(t, p), review.Request{}); len(ties.Patch) > 0 {
			p = applied(t, "ties", p, ties.Variant)
		}
		q := clone(t, p)
		mirror(q)
		a, b := study.Settled(context.Background(), clone(t, p), review.Request{}), study.Settled(context.Background(), q, review.Request{})
		swap := strings.NewReplacer("tyres-left", "tyres-right", "tyres-right", "tyres-left")
		of := map[string]*finding.Finding{}
		for i := range b.Findings {
			of[swap.Replace(b.Findings[i].Key())] = &b.Findings[i]
		}
		if len(a.Findings) != len(b.Findings) {
			t.Errorf("rig %d: %d findings, mirrored %d", k, len(a.Findings), len(b.Findings))
		}
		for i := range a.Findings {
			f := &a.Findings[i]
			g := of[f.Key()]
			if g == nil {
				t.Errorf("rig %d: %s is not found mirrored", k, f.Key())
				continue
			}
			compared++
			figures := (f.Figure == nil) == (g.Figure == nil)
			if f.Figure != nil && figures {
				figures = math.Abs(f.Figure.Value-g.Figure.Value) <= 1e-6*(1+math.Abs(f.Figure.Value))
			}
			if f.Outcome != g.Outcome || !figures {
				t.Errorf("rig %d: %s is %s %+v, mirrored %s %+v", k, f.Code, f.Outcome, f.Figure, g.Outcome, g.Figure)
			}
		}
	}
	if compared < 500 {
		t.Errorf("only %d findings compared", compared)
	}
}
