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
// named, with the loads slid again where that alone is lacking; the plan has
// every load laid.
func bringBack(p *plan.Plan, c *Candidate, outings []string) *finding.Variant {
	var failing []string
	for _, o := range c.Outings {
		if o.Outcome == finding.Fails {
			failing = append(failing, o.ID)
		}
	}
	ways, codes := backVariants(p, c, failing)
	for _, w := range ways {
		slides, ok := holdsSlid(p, w.Patch, c.ID, failing, outings, codes)
		if !ok {
			continue
		}
		for _, other := range w.trips { // each trip is driven
			more, holds := holdsSlid(p, other, c.ID, failing, outings, codes)
			if ok = ok && holds; len(more) > 0 && len(slides) == 0 {
				slides = []finding.Op{}
			}
		}
		if !ok {
			continue
		}
		v := w.Variant
		if slides != nil {
			v.Name, v.Patch = append(v.Name, said.Piece{Text: ", slid again"}), append(v.Patch, slides...)
		}
		return &v
	}
	return nil
}

// holdsSlid reports whether a patch mends all (mends), as it is or with the failing outings'
// loads slid again; slides are what does that, nil where it is not needed.
func holdsSlid(
	p *plan.Plan,
	patch []finding.Op,
	trailer string,
	failing, outings []string,
	codes map[string]int,
) (slides []finding.Op, ok bool) {
	patched, err := plan.Apply(p, patch)
	if err != nil || len(plan.Clean(patched)) > 0 {
		return nil, false
	}
	if mends(patched, trailer, failing, outings, codes) {
		return nil, true
	}
	if slides = slideAll(patched, trailer, failing); len(slides) == 0 {
		return nil, false
	}
	slid, err := plan.Apply(patched, slides)
	return slides, err == nil && mends(slid, trailer, failing, outings, codes)
}

// mends reports whether nothing fails any more, and of what failed no more is unknown than before (codes): a car
// whose plate nobody read brings nothing back.
func mends(p *plan.Plan, trailer string, failing, outings []string, codes map[string]int) bool {
	if judged(p, trailer, outings, atRest).Outcome == finding.Fails {
		return false
	}
	unknown := map[string]int{}
	for _, o := range failing {
		for _, f := range atRest(p, review.Request{Outing: o, Trailer: trailer}).Findings {
			if f.Outcome == finding.Unknown {
				unknown[f.Code]++
			}
		}
	}
	for code, before := range codes {
		if unknown[code] > before {
			return false
		}
	}
	return true
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

// back gathers the ways that may bring one candidate back.
type back struct {
	plan    *plan.Plan
	of      *Candidate
	trailer plan.Trailer
	path    string // of the trailer
	failing []string
	rigs    map[string]*rig.Rig // of the failing outings
	codes   map[string]int      // of what fails on any of them, with how many of that kind are not known
	out     []way
}

// backVariants lists the ways, the least trouble first, and the codes of what fails with how many of each are not
// known.
func backVariants(p *plan.Plan, c *Candidate, failing []string) ([]way, map[string]int) {
	b := &back{
		plan: p, of: c, trailer: p.Trailers[c.ID], path: "/trailers/" + c.ID, failing: failing,
		rigs: map[string]*rig.Rig{}, codes: map[string]int{},
	}
	unknown := map[string]int{}
	for _, o := range failing {
		b.rigs[o] = rig.Resolve(p, c.ID, o)
		for _, f := range atRest(p, review.Request{Outing: o, Trailer: c.ID}).Findings {
			switch f.Outcome {
			case finding.Fails:
				b.codes[f.Code] = 0
			case finding.Unknown:
				unknown[f.Code]++
			}
		}
	}
	for code := range b.codes {
		b.codes[code] = unknown[code]
	}
	b.mended()
	b.add(slideAll(p, c.ID, failing), "with all slid")
	b.inTrips()
	b.slower()
	b.tyres()
	b.hitched()
	b.otherCars()
	b.cheaper()
	b.longer()
	return b.out, b.codes
}

func (b *back) add(ops []finding.Op, pattern string, parts ...said.Piece) {
	if len(ops) > 0 {
		b.out = append(b.out, way{Variant: finding.Variant{Name: said.Say(pattern, parts...), Patch: ops}})
	}
}

// set is a field of the trailer put to a value.
func (b *back) set(field string, value any) finding.Op {
	return finding.Op{Op: "add", Path: b.path + "/" + field, Value: value}
}

func (b *back) fails(codes ...string) bool {
	return slices.ContainsFunc(codes, func(code string) bool {
		_, fails := b.codes[code]
		return fails
	})
}

// mended takes the ways out of the one outing that fails: what mends it may mend all.
func (b *back) mended() {
	if len(b.failing) != 1 {
		return
	}
	q := review.Request{Outing: b.failing[0], Trailer: b.of.ID}
	rep := atRest(b.plan, q)
	for i := range rep.Findings {
		f := &rep.Findings[i]
		if f.Outcome != finding.Fails {
			continue
		}
		for _, v := range slices.DeleteFunc(candidates(b.plan, q, f), leavesBehind) {
			b.out = append(b.out, way{Variant: v})
		}
	}
}

// inTrips carries the loads of each failing outing in several trips.
func (b *back) inTrips() {
	for n := 2; n <= mostTrips; n++ {
		trips := make([][]finding.Op, n)
		for _, o := range b.failing {
			for k, ops := range inTrips(b.rigs[o], n) {
				trips[k] = append(trips[k], ops...)
			}
		}
		if b.add(trips[0], "% trips", said.Count(n)); len(trips[0]) > 0 {
			same := func(a, b []finding.Op) bool { return reflect.DeepEqual(a, b) }
			b.out[len(b.out)-1].trips = slices.CompactFunc(trips[1:], same)
		}
	}
}

// slower keeps to the slowest speed that the tyres bear.
func (b *back) slower() {
	slowest := quantity.Speed(0)
	for _, o := range b.failing {
		v, ok := towing.TyreSpeed(b.rigs[o])
		if wanted := b.plan.Outings[o].Speed; ok && wanted != nil && *wanted > v {
			slowest = v
		}
	}
	if slowest == 0 {
		return
	}
	var ops []finding.Op
	for _, o := range b.failing {
		if v := b.plan.Outings[o].Speed; v != nil && *v > slowest {
			ops = append(ops, finding.Op{Op: "add", Path: "/outings/" + o + "/speed", Value: float64(slowest)})
		}
	}
	b.add(ops, "at %", said.Of(quantity.KindSpeed, slowest))
}

// tyres tries stronger ones, of the usual ratings (kg each).
func (b *back) tyres() {
	if !b.fails(towing.CodeLink+"tyres", towing.CodeLink+"tyres-left", towing.CodeLink+"tyres-right") {
		return
	}
	for _, kg := range []float64{400, 450, 500, 600, 750} {
		b.add(b.otherTyres(kg), "with {tyre}s for % each", said.Mass(kg))
	}
}

// otherTyres fits tyres for a mass, kg, as fast as those that are on: what the wall of these says goes with them.
func (b *back) otherTyres(kg float64) []finding.Op {
	ops := []finding.Op{b.set("tyreRating", kg)}
	if v, ok := towing.TyreSpeed(b.rigs[b.failing[0]]); ok {
		ops = append(ops, b.set("tyreSpeed", float64(v)))
	}
	if b.trailer.TyreIndex != nil {
		ops = append(ops, finding.Op{Op: "remove", Path: b.path + "/tyreIndex"})
	}
	if b.trailer.TyreText != "" {
		ops = append(ops, finding.Op{Op: "remove", Path: b.path + "/tyreText"})
	}
	return ops
}

// hitched mends what does not go together at the hitch: plug, ball, brakes.
func (b *back) hitched() {
	if b.fails(towing.CodePlug) {
		adapters := map[string]bool{}
		var ops []finding.Op
		for _, o := range b.failing {
			if v := b.rigs[o]; v.Vehicle != nil && !adapters[v.VehicleID] {
				adapters[v.VehicleID] = true
				at := "/towVehicles/" + v.VehicleID + "/adapter"
				ops = append(ops, finding.Op{Op: "add", Path: at, Value: true})
			}
		}
		b.add(ops, "with a plug adapter")
	}
	if b.fails(towing.CodeBallSize) {
		for _, o := range b.failing {
			if v := b.rigs[o].Vehicle; v != nil && v.BallSize != nil {
				ops := []finding.Op{b.set("couplingSize", float64(*v.BallSize))}
				b.add(ops, "with a {coupling} for %", norms.BallName(*v.BallSize))
				break
			}
		}
	}
	asks := b.fails(towing.CodeBrakes, towing.CodeLink+"tow", towing.CodeLink+"half-kerb")
	if b.trailer.Brakes == plan.BrakesNone && asks {
		kind, says := plan.BrakesFitted, "with brakes and a {breakaway}"
		if norms.Of(b.plan.Region).OverrunTo != nil {
			kind, says = plan.BrakesElectric, "with electric brakes and a {breakaway}"
		}
		ops := []finding.Op{b.set("brakes", kind), b.set("breakaway", true)}
		if n := b.trailer.AxleCount(); n > 1 {
			ops, says = append(ops, b.set("brakedAxles", n)), says+", every axle braked"
		}
		b.add(ops, says)
	}
}

// otherCars tows the failing outings behind each of the plan's cars.
func (b *back) otherCars() {
	for _, v := range b.plan.VehicleIDs() {
		var ops []finding.Op
		for _, o := range b.failing {
			if b.plan.Outings[o].Vehicle != v {
				ops = append(ops, finding.Op{Op: "add", Path: "/outings/" + o + "/vehicle", Value: v})
			}
		}
		b.add(ops, "behind %", said.Name(b.plan.TowVehicles[v].Name, "another car"))
	}
}

// cheaper offers less, where the budget alone stands against it.
func (b *back) cheaper() {
	d := b.trailer.Deal
	if d == nil || d.Price == nil {
		return
	}
	for i := range b.of.Wants {
		w := &b.of.Wants[i]
		budget := b.plan.Wants[w.ID].Money
		if w.Wish || w.Outcome != finding.Fails || w.What != plan.WantBudget || budget == nil {
			continue
		}
		was, tax := *d.Price, 1.0
		if d.Offer != nil {
			was = *d.Offer
		}
		if d.Tax != nil {
			tax += *d.Tax
		}
		offer := math.Floor(float64(was) - float64(b.of.Bill.Money-*budget)/tax)
		if offer >= 0.6*float64(*d.Price) { // less is no offer
			ops := []finding.Op{b.set("deal/offer", offer)}
			b.add(ops, "for % at most", said.Of(quantity.KindMoney, offer))
		}
	}
}

// longer takes a longer drawbar: it moves axle and deck back alike; its own weight is not
// counted.
func (b *back) longer() {
	axle, deck := b.trailer.CouplingToAxle, b.trailer.CouplingToDeck
	if axle == nil || deck == nil || b.trailer.AxleMoves != nil {
		return
	}
	for d := 0.3; d <= mostDrawbar+1e-9; d += 0.3 {
		to := func(field string, v quantity.Length) finding.Op {
			at := b.path + "/" + field + "/value"
			return finding.Op{Op: "replace", Path: at, Value: round10(float64(v) + d)}
		}
		ops := []finding.Op{to("couplingToAxle", axle.Value), to("couplingToDeck", deck.Value)}
		b.add(ops, "with % longer {drawbar}", said.Length(d))
	}
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
