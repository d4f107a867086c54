package study

import (
	"math"
	"reflect"
	"slices"

	"zygonos/core/ask/towing"
	"zygonos/core/facts/norms"
	"zygonos/core/lang/finding"
	"zygonos/core/lang/quantity"
	"zygonos/core/lang/said"
	"zygonos/core/plan"
	"zygonos/core/review"
	"zygonos/core/rig"
)

// Most that is tried to bring a candidate back.
const (
	mostTrips   = 6
	mostDrawbar = 1.5 // m
)

// bringBack finds the one change after which nothing fails: the load slid, more
// trips, a lower speed, other tyres, another coupling, brakes, another car of
// the plan, a longer drawbar, a lower offer. Each is judged whole before it is
// named, with the loads slid anew where that alone is lacking; the plan has
// every load laid.
func bringBack(p *plan.Plan, c *Candidate, outings []string) *finding.Variant {
	var failing []string
	for _, o := range c.Outings {
		if o.Outcome == finding.Fails {
			failing = append(failing, o.ID)
		}
	}
	for _, w := range backVariants(p, c, failing) {
		slides, ok := holdsSlid(p, w.Patch, c.ID, failing, outings)
		if !ok {
			continue
		}
		for _, other := range w.trips { // each trip is driven
			more, holds := holdsSlid(p, other, c.ID, failing, outings)
			if ok = ok && holds; len(more) > 0 && len(slides) == 0 {
				slides = []finding.Op{}
			}
		}
		if !ok {
			continue
		}
		v := w.Variant
		if slides != nil {
			v.Name, v.Patch = append(v.Name, said.Piece{Text: ", slid anew"}), append(v.Patch, slides...)
		}
		return &v
	}
	return nil
}

// holdsSlid reports whether nothing fails with a patch, as it is or with the failing outings'
// loads slid anew; slides are what does that, nil where it is not needed.
func holdsSlid(
	p *plan.Plan,
	patch []finding.Op,
	trailer string,
	failing, outings []string,
) (slides []finding.Op, ok bool) {
	patched, err := plan.Apply(p, patch)
	if err != nil || len(plan.Clean(patched)) > 0 {
		return nil, false
	}
	if judged(patched, trailer, outings).Outcome != finding.Fails {
		return nil, true
	}
	if slides = slideAll(patched, trailer, failing); len(slides) == 0 {
		return nil, false
	}
	slid, err := plan.Apply(patched, slides)
	return slides, err == nil && judged(slid, trailer, outings).Outcome != finding.Fails
}

// way is a variant that may bring a candidate back; where it takes several trips, the patches
// of the others beside the heaviest, which must hold too.
type way struct {
	finding.Variant
	trips [][]finding.Op
}

// slideAll slides what stands free on each outing's deck into the ball window.
func slideAll(p *plan.Plan, trailer string, outings []string) []finding.Op {
	var ops []finding.Op
	for _, o := range outings {
		if d, slide, reached := Shift(rig.Resolve(p, trailer, o)); reached && math.Abs(d) > 0.005 {
			ops = append(ops, slide...)
		}
	}
	return ops
}

// leavesBehind reports a variant that takes a load out: the job is to carry it.
func leavesBehind(v finding.Variant) bool {
	return slices.ContainsFunc(v.Patch, func(op finding.Op) bool { return op.Op == "remove" })
}

func backVariants(p *plan.Plan, c *Candidate, failing []string) []way {
	id := c.ID
	var out []way
	add := func(ops []finding.Op, pattern string, parts ...said.Piece) {
		if len(ops) > 0 {
			out = append(out, way{Variant: finding.Variant{Name: said.Say(pattern, parts...), Patch: ops}})
		}
	}
	t, tp := p.Trailers[id], "/trailers/"+id
	rigs := map[string]*rig.Rig{}
	codes := map[string]bool{}
	for _, o := range failing {
		rigs[o] = rig.Resolve(p, id, o)
		for _, f := range review.Again(p, review.Request{Outing: o, Trailer: id}).Findings {
			if f.Outcome == finding.Fails {
				codes[f.Code] = true
			}
		}
	}
	if len(failing) == 1 { // what mends the check that fails may mend all
		q := review.Request{Outing: failing[0], Trailer: id}
		rep := review.Again(p, q)
		for i := range rep.Findings {
			if f := &rep.Findings[i]; f.Outcome == finding.Fails {
				for _, v := range slices.DeleteFunc(candidates(p, q, f), leavesBehind) {
					out = append(out, way{Variant: v})
				}
			}
		}
	}
	add(slideAll(p, id, failing), "with all slid")
	for n := 2; n <= mostTrips; n++ {
		trips := make([][]finding.Op, n)
		for _, o := range failing {
			for k, ops := range inTrips(rigs[o], n) {
				trips[k] = append(trips[k], ops...)
			}
		}
		if add(trips[0], "% trips", said.Count(n)); len(trips[0]) > 0 {
			out[len(out)-1].trips = slices.CompactFunc(
				trips[1:],
				func(a, b []finding.Op) bool { return reflect.DeepEqual(a, b) },
			)
		}
	}
	slowest := quantity.Speed(0)
	for _, o := range failing {
		if v, ok := towing.TyreSpeed(rigs[o]); ok && p.Outings[o].Speed != nil && *p.Outings[o].Speed > v {
			slowest = v
		}
	}
	if slowest > 0 {
		var ops []finding.Op
		for _, o := range failing {
			if v := p.Outings[o].Speed; v != nil && *v > slowest {
				ops = append(ops, finding.Op{Op: "add", Path: "/outings/" + o + "/speed", Value: float64(slowest)})
			}
		}
		add(ops, "at %", said.Of(quantity.KindSpeed, slowest))
	}
	if codes[towing.CodeLink+"tyres"] || codes[towing.CodeLink+"tyres-left"] ||
		codes[towing.CodeLink+"tyres-right"] {
		for _, kg := range []float64{400, 450, 500, 600, 750} {
			add(
				[]finding.Op{{Op: "add", Path: tp + "/tyreRating", Value: kg}},
				"with {tyre}s for % each",
				said.Mass(kg),
			)
		}
	}
	if codes[towing.CodePlug] {
		var ops []finding.Op
		for _, o := range failing {
			if v := rigs[o]; v.Vehicle != nil &&
				!slices.ContainsFunc(
					ops,
					func(op finding.Op) bool { return op.Path == "/towVehicles/"+v.VehicleID+"/adapter" },
				) {
				ops = append(
					ops,
					finding.Op{Op: "add", Path: "/towVehicles/" + v.VehicleID + "/adapter", Value: true},
				)
			}
		}
		add(ops, "with a plug adapter")
	}
	if codes[towing.CodeBallSize] {
		for _, o := range failing {
			if v := rigs[o].Vehicle; v != nil && v.BallSize != nil {
				add(
					[]finding.Op{{Op: "add", Path: tp + "/couplingSize", Value: float64(*v.BallSize)}},
					"with a {coupling} for %",
					norms.BallName(*v.BallSize),
				)
				break
			}
		}
	}
	if t.Brakes == plan.BrakesNone &&
		(codes[towing.CodeBrakes] || codes[towing.CodeLink+"tow"] || codes[towing.CodeLink+"half-kerb"]) {
		add(
			[]finding.Op{
				{Op: "add", Path: tp + "/brakes", Value: plan.BrakesFitted},
				{Op: "add", Path: tp + "/breakaway", Value: true},
			},
			"with brakes and a {breakaway}",
		)
	}
	for _, v := range p.VehicleIDs() {
		var ops []finding.Op
		for _, o := range failing {
			if p.Outings[o].Vehicle != v {
				ops = append(ops, finding.Op{Op: "add", Path: "/outings/" + o + "/vehicle", Value: v})
			}
		}
		add(ops, "behind %", said.Name(p.TowVehicles[v].Name, "another car"))
	}
	for i := range c.Wants {
		w := &c.Wants[i]
		if w.Wish || w.Outcome != finding.Fails || w.What != plan.WantBudget || t.Deal == nil ||
			t.Deal.Price == nil ||
			p.Wants[w.ID].Money == nil {
			continue
		}
		was := *t.Deal.Price
		if t.Deal.Offer != nil {
			was = *t.Deal.Offer
		}
		tax := 1.0
		if t.Deal.Tax != nil {
			tax += *t.Deal.Tax
		}
		offer := math.Floor(float64(was) - float64(c.Bill.Money-*p.Wants[w.ID].Money)/tax)
		if offer >= 0.6*float64(*t.Deal.Price) { // less is no offer
			add(
				[]finding.Op{{Op: "add", Path: tp + "/deal/offer", Value: offer}},
				"for % at most",
				said.Of(quantity.KindMoney, offer),
			)
		}
	}
	// A longer drawbar moves axle and deck back alike; its own weight is not counted.
	if a, b := t.CouplingToAxle, t.CouplingToDeck; a != nil && b != nil && t.AxleMoves == nil {
		for d := 0.3; d <= mostDrawbar+1e-9; d += 0.3 {
			add(
				[]finding.Op{
					{Op: "replace", Path: tp + "/couplingToAxle/value", Value: round10(float64(a.Value) + d)},
					{
						Op:    "replace",
						Path:  tp + "/couplingToDeck/value",
						Value: round10(float64(b.Value) + d),
					},
				},
				"with % longer {drawbar}",
				said.Length(d),
			)
		}
	}
	return out
}

// inTrips carries an outing's loads in n trips, the heaviest first: loose material by equal
// shares, other loads by whole pieces. What does not come along on a trip is taken out.
func inTrips(r *rig.Rig, n int) [][]finding.Op {
	var ops []finding.Op
	mass := map[string]float64{}
	var ids []string
	for i := range r.Items {
		it := &r.Items[i]
		if it.Part || it.Mass == nil {
			continue
		}
		if it.Lot != nil && it.Load.Bulk != nil {
			ops = append(ops, shareOf(it, n)...)
			continue
		}
		mass[it.ID] = it.Mass.Nominal
		ids = append(ids, it.ID)
	}
	if len(ops) > 0 { // all trips are alike
		out := make([][]finding.Op, n)
		for k := range out {
			out[k] = ops
		}
		return out
	}
	if len(ids) < n {
		return nil
	}
	out := make([][]finding.Op, n)
	for k, comes := range partition(ids, func(id string) float64 { return mass[id] }, n) {
		for _, id := range ids {
			if !slices.Contains(comes, id) {
				out[k] = append(out[k], finding.Op{Op: "remove", Path: r.LayoutPath("/placements/" + id)})
			}
		}
	}
	return out
}

// shareOf is the n-th part of a load of loose material.
func shareOf(it *rig.Item, n int) []finding.Op {
	b := it.Load.Bulk
	at := func(path string, v any) []finding.Op {
		return []finding.Op{{Op: "add", Path: it.Path + path, Value: v}}
	}
	switch b.By {
	case plan.ByMass:
		m := *it.Load.Mass
		m.Value /= quantity.Mass(n)
		if m.PlusMinus != nil {
			d := *m.PlusMinus / quantity.Mass(n)
			m.PlusMinus = &d
		}
		return at("/mass", m)
	case plan.ByScoops, plan.ByBags, plan.ByBulkBags:
		return at("/bulk/count", math.Ceil(*b.Count/float64(n)))
	}
	next := *b
	next.By = plan.ByVolume
	v := quantity.Volume(it.Lot.Volume.Nominal / float64(n))
	next.Volume = &plan.VolumeEstimate{Value: v, How: plan.Weighed}
	return at("/bulk", next)
}
