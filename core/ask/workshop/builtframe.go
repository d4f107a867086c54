package workshop

import (
	"fmt"
	"maps"
	"math"
	"slices"

	"gonum.org/v1/gonum/spatial/r3"

	"zygonos/core/lang/finding"
	"zygonos/core/lang/quantity"
	"zygonos/core/lang/said"
	"zygonos/core/parts"
	"zygonos/core/plan"
	"zygonos/core/records"
	"zygonos/core/rig"
)

// sameTaped is within which a drawn length is that which was taped, m.
const sameTaped = 0.0005

// frame adds the members of the drawn frame and what is cut out of them, and what puts their measures into the drawing. It
// returns how many were measured and how many are off.
func (out *AsBuilt) frame(r *rig.Rig, all records.All) (measured, off int) {
	add := func(row BuiltRow, now float64) *float64 {
		row.Record, row.Field, row.Member = builtOf(r.Scope.Trailer, row.What), "long", true
		row.Drawn, row.Plan = finding.Exactly(quantity.KindLength, now), &now
		defer func() { out.Rows = append(out.Rows, row) }()
		rec := all[row.Record]
		if rec == nil || rec.Built == nil || rec.Built.Long == nil {
			return nil
		}
		v := float64(*rec.Built.Long)
		row.Built = finding.Exactly(quantity.KindLength, v)
		if d := rec.Built.DrawnLong; d != nil {
			row.Drawn = finding.Exactly(quantity.KindLength, *d)
		}
		row.Off = finding.Exactly(quantity.KindLength, v-row.Drawn.Value)
		row.InPlan = row.InPlan && math.Abs(now-v) < sameTaped
		measured++
		if math.Abs(row.Off.Value) > asBuiltDoubt {
			off++
		}
		if row.InPlan {
			return nil
		}
		return &v
	}
	taped := map[string]float64{}
	root := "/trailers/" + r.Scope.Trailer + "/frame/members/"
	for i := range drawnBars(r) {
		b := &r.Drawn.Bars[i]
		name := said.Name(b.Member.Name, "a member")
		if v := add(BuiltRow{What: "m-" + b.ID, Name: said.Sentence{name}, InPlan: b.Member.Taped != nil}, b.Length); v != nil {
			taped[b.ID] = *v
			out.Use = append(out.Use, finding.Op{Op: "add", Path: root + b.ID + "/taped", Value: *v})
		}
		cuts := plan.Ordered(b.Member.Cuts, func(c plan.MemberCut) int { return c.Order })
		for n, id := range cuts {
			c := b.Member.Cuts[id]
			what := "%, notch %: its middle"
			if c.What == plan.CutHole {
				what = "%, hole %: its middle"
			}
			row := BuiltRow{
				What: "c-" + b.ID + "-" + id, Name: said.Say(what, name, said.Count(n+1)), InPlan: c.Taped,
			}
			if v := add(row, float64(c.At)); v != nil {
				out.Use = append(out.Use,
					finding.Op{Op: "add", Path: root + b.ID + "/cuts/" + id + "/at", Value: *v},
					finding.Op{Op: "add", Path: root + b.ID + "/cuts/" + id + "/taped", Value: true})
			}
		}
	}
	out.Use = append(out.Use, redrawn(r, taped)...)
	return measured, off
}

// redrawn moves ends of members so that each that was taped is as long as that. The end that is farther from the frame's middle
// moves, along the member; both by half where they are as far, across. An end of another member that stands there goes with it.
// It goes from the front to the rear, a few times over, since a bar that went with one may be another that was taped.
func redrawn(r *rig.Rig, taped map[string]float64) []finding.Op {
	if len(taped) == 0 {
		return nil
	}
	bars := slices.Clone(r.Drawn.Bars)
	front, rear := math.Inf(1), math.Inf(-1)
	for _, b := range bars {
		front, rear = min(front, b.From.X, b.To.X), max(rear, b.From.X, b.To.X)
	}
	middle := r3.Vec{X: (front + rear) / 2}
	ids := slices.SortedFunc(maps.Keys(taped), func(a, b string) int {
		return compareBars(barIn(bars, a), barIn(bars, b))
	})
	for range 4 {
		for _, id := range ids {
			if b := barIn(bars, id); b != nil {
				stretch(bars, b, taped[id], middle)
			}
		}
	}
	var ops []finding.Op
	for i, b := range bars {
		root := "/trailers/" + r.Scope.Trailer + "/frame/members/" + b.ID
		was := r.Drawn.Bars[i]
		ops = append(ops, movedEnd(root+"/from", was.Member.From, r3.Sub(b.From, was.From))...)
		ops = append(ops, movedEnd(root+"/to", was.Member.To, r3.Sub(b.To, was.To))...)
	}
	return ops
}

func compareBars(a, b *parts.FrameBar) int {
	x := func(b *parts.FrameBar) float64 { return math.Min(b.From.X, b.To.X) }
	switch {
	case a == nil || b == nil || x(a) == x(b):
		return 0
	case x(a) < x(b):
		return -1
	}
	return 1
}

func barIn(bars []parts.FrameBar, id string) *parts.FrameBar {
	for i := range bars {
		if bars[i].ID == id {
			return &bars[i]
		}
	}
	return nil
}

// evenEnds is within which two ends are as far from the frame's middle, m.
const evenEnds = 0.01

// stretch makes a bar so long, and takes along what ends at the end that moves.
func stretch(bars []parts.FrameBar, b *parts.FrameBar, long float64, middle r3.Vec) {
	d := r3.Sub(b.To, b.From)
	now := r3.Norm(d)
	if !(now > 1e-6) || math.Abs(long-now) < 1e-7 {
		return
	}
	u, by := r3.Scale(1/now, d), long-now
	out := r3.Dot(u, r3.Sub(b.To, middle)) + r3.Dot(u, r3.Sub(b.From, middle)) // over 0: To lies farther out
	across := math.Abs(u.Y) > math.Abs(u.X) && math.Abs(u.Y) > math.Abs(u.Z)
	toShare := 1.0
	switch {
	case math.Abs(out) <= evenEnds && across:
		toShare = 0.5
	case math.Abs(out) <= evenEnds && u.X < 0, out < -evenEnds:
		toShare = 0 // the rear end moves of a bar that lies evenly
	}
	shift := func(at *r3.Vec, by r3.Vec) {
		from := *at
		for i := range bars {
			o := &bars[i]
			if o.ID == b.ID {
				continue
			}
			near := (math.Max(b.Wide, b.High) + math.Max(o.Wide, o.High)) / 2
			for _, end := range []*r3.Vec{&o.From, &o.To} {
				if r3.Norm(r3.Sub(*end, from)) <= near {
					*end = r3.Add(*end, by)
				}
			}
		}
		*at = r3.Add(from, by)
	}
	if toShare > 0 {
		shift(&b.To, r3.Scale(by*toShare, u))
	}
	if toShare < 1 {
		shift(&b.From, r3.Scale(-by*(1-toShare), u))
	}
}

// movedEnd are the changes of an end's coordinates, to a hundredth of a millimetre.
func movedEnd(path string, p plan.FramePoint, by r3.Vec) (ops []finding.Op) {
	for _, c := range []struct {
		name string
		was  quantity.Length
		by   float64
	}{{"back", p.Back, by.X}, {"right", p.Right, by.Y}, {"up", p.Up, by.Z}} {
		if math.Abs(c.by) > 1e-5 {
			to := math.Round((float64(c.was)+c.by)*1e5) / 1e5
			ops = append(ops, finding.Op{Op: "add", Path: fmt.Sprintf("%s/%s", path, c.name), Value: to})
		}
	}
	return ops
}
