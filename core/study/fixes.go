package study

import (
	"cmp"
	"math"
	"slices"
	"strconv"
	"strings"

	"zygonos/core/ask/balance"
	"zygonos/core/ask/clearance"
	"zygonos/core/ask/rack"
	"zygonos/core/ask/ramp"
	"zygonos/core/ask/towing"
	"zygonos/core/facts/catalogue"
	"zygonos/core/lang/finding"
	"zygonos/core/lang/quantity"
	"zygonos/core/lang/said"
	"zygonos/core/plan"
	"zygonos/core/review"
	"zygonos/core/rig"
)

// wayOut is a variant with what it asks of the owner.
func wayOut(v finding.Variant, effort float64) finding.Way {
	return finding.Way{Variant: v, Effort: effort}
}

// candidates solves a failing or tight check backwards: docs/method/fixes.md.
func candidates(p *plan.Plan, q review.Request, f *finding.Finding) []finding.Variant {
	r := rig.Resolve(p, q.Trailer, q.Outing)
	if r == nil || r.Layout == nil {
		return nil
	}
	var found []finding.Way
	link, isLink := strings.CutPrefix(f.Code, towing.CodeLink)
	switch {
	case f.Code == balance.CodeWindow && r.Bears != nil:
		found = intoWindow(r)
	case f.Code == balance.CodeSides, link == "tyres-left", link == "tyres-right":
		found = toEven(r)
	case f.Code == rack.CodeBar || f.Code == rack.CodeSag:
		found = strongerBars(r, f.Subject)
	case f.Code == ramp.CodeSetup,
		f.Code == ramp.CodeAngle,
		f.Code == ramp.CodeTip,
		f.Code == ramp.CodeClear,
		f.Code == ramp.CodeWinch,
		f.Code == ramp.CodeHold:
		found = ontoRamp(r, f)
	case f.Code == clearance.CodeCar:
		found = awayFromCar(r, f)
	case f.Code == balance.CodeOffDeck:
		found = ontoDeck(r, f.Subject)
	case isLink && f.Figure != nil && f.Limit != nil:
		found = lighten(r, link, f.Figure.Value-f.Limit.Value*(1-towing.Reserve))
		if strings.Contains(link, "ball") {
			found = append(found, toTarget(r, f.Limit.Value*(1-towing.Reserve))...)
		}
	}
	for i := range review.Questions {
		if q := &review.Questions[i]; q.Ways != nil {
			found = append(found, q.Ways(r, f)...)
		}
	}
	slices.SortStableFunc(found, func(a, b finding.Way) int { return cmp.Compare(a.Effort, b.Effort) })
	out := make([]finding.Variant, 0, len(found))
	for _, c := range found {
		out = append(out, c.Variant)
	}
	return out
}

// intoWindow brings the ball load to the middle of its window: by moving loads, the
// axle or both, or by carrying more at the front or the rear.
func intoWindow(r *rig.Rig) []finding.Way {
	w := balance.Check(r).Window
	if w == nil || w.High < w.Low {
		return nil
	}
	m := r.Bears.Mass.Nominal
	target := (w.Low + w.High) / 2
	out := toTarget(r, target)
	if c, ok := moveAxle(r, target/m); ok {
		out = append(out, c)
	}
	if c, ok := ballast(r, target/m); ok {
		out = append(out, c)
	}
	return out
}

// slideTo slides one load along the deck until the ball bears target kg:
// Δ = (R_ball − target)·L/m, at most to the next load or the deck's edge.
func slideTo(r *rig.Rig, target float64) []finding.Way {
	if r.Bears == nil {
		return nil
	}
	var out []finding.Way
	for i := range r.Items {
		it := &r.Items[i]
		m := r.Moves(i).Mass
		if it.Part || it.Pinned || it.Mass == nil || m <= 0 {
			continue
		}
		d := (r.Bears.Ball.Nominal - target) * r.Axle.Nominal / m
		from, to := r.Free(it)
		at := float64(it.At.Back)
		goal := min(max(at+d, from), to)
		goal = math.Round(goal*100) / 100
		if goal < from-1e-9 {
			goal += 0.01
		} else if goal > to+1e-9 {
			goal -= 0.01
		}
		if d = goal - at; math.Abs(d) < 0.0099 {
			continue
		}
		out = append(out, wayOut(finding.Variant{
			Name:  said.Say("slide % % "+wayOf(d), said.Name(it.Name, "the load"), said.Length(math.Abs(d))),
			Patch: setPlace(it, "back", float64(it.At.Back), goal),
		}, math.Abs(d)*(1+m/500)))
	}
	return out
}

// setPlace writes a placement's place; a test guards what it was.
func setPlace(it *rig.Item, field string, was, goal float64) []finding.Op {
	at := it.PlacePath + "/at/" + field
	if was == 0 && field != "back" { // zero is left out of the document
		return []finding.Op{{Op: "add", Path: at, Value: goal}}
	}
	return []finding.Op{{Op: "test", Path: at, Value: was}, {Op: "replace", Path: at, Value: goal}}
}

// moveAxle sets the axle so that the ball bears the share s: with the terms'
// moments about the ball S = Σ pβ and the masses standing clear of the axle
// N = Σ p(d − α), s·m = N − S/L, so L = S/(N − s·m). The rig is resolved with its axle a little
// aside, so that what moves with it is kept apart. Rounded to the hanger's holes.
func moveAxle(r *rig.Rig, s float64) (finding.Way, bool) {
	moves := r.Trailer.AxleMoves
	if moves == nil {
		return finding.Way{}, false
	}
	aside := rig.Resolve(asideAxle(r.Plan, r.Scope.Trailer, r.Scope.Outing), r.Scope.Trailer, r.Scope.Outing)
	if aside == nil || aside.Bears == nil {
		return finding.Way{}, false
	}
	var moment, clear float64
	for i := range aside.Beam.Terms {
		t := &aside.Beam.Terms[i]
		moment += t.Amount.Nominal * t.Arm.Nominal
		clear += t.Amount.Nominal * (t.InMass - t.OnAxle.Nominal)
	}
	den := clear - s*r.Bears.Mass.Nominal
	if math.Abs(den) < 1e-9 {
		return finding.Way{}, false
	}
	goal := rig.NearestHole(moves, quantity.Length(moment/den))
	d := float64(goal) - r.Axle.Nominal
	if math.Abs(d) < 1e-6 || !quantity.Finite(d) {
		return finding.Way{}, false
	}
	return wayOut(finding.Variant{
		Name: said.Say(
			"move the axle % "+wayOf(d)+", to % from the {coupling}",
			said.Length(math.Abs(d)),
			said.Length(goal),
		),
		Patch: []finding.Op{{Op: "add", Path: r.AxlePath, Value: float64(goal)}},
	}, 3+math.Abs(d)), true
}

// ballast adds p kg near the front board, or near the tail, so that
// (R + p·a)/(m + p) = s with a = (L − x)/L: p = (s·m − R)/(a − s).
func ballast(r *rig.Rig, s float64) (finding.Way, bool) {
	const length = 0.4
	front, rear := r.Deck()
	l, m, ball := r.Axle.Nominal, r.Bears.Mass.Nominal, r.Bears.Ball.Nominal
	x, back, where := front+length/2, 0.0, "at the {headboard}"
	if ball > s*m {
		x, back, where = rear-length/2, rear-front-length, "at the tail"
	}
	a := (l - x) / l
	p := math.Ceil((s*m-ball)/(a-s)/5) * 5
	if !quantity.Finite(p) || p <= 0 || p > 200 {
		return finding.Way{}, false
	}
	id := ""
	for n := 1; ; n++ {
		id = "ballast-" + strconv.Itoa(n)
		if _, taken := r.Plan.Loads[id]; !taken {
			break
		}
	}
	size := func(v quantity.Length) *plan.LengthEstimate { return &plan.LengthEstimate{Value: v, How: plan.Weighed} }
	load := plan.Load{
		Order: 1000,
		Name:  "ballast",
		Kind:  "box",
		Mass:  &plan.MassEstimate{Value: quantity.Mass(p), How: plan.Weighed},
		Size:  plan.Size{Length: size(length), Width: size(0.4), Height: size(0.25)},
	}
	return wayOut(finding.Variant{
		Name: said.Say("carry % more "+where, said.Mass(p)),
		Patch: []finding.Op{
			{Op: "add", Path: "/loads/" + id, Value: load},
			{
				Op:    "add",
				Path:  r.LayoutPath("/placements/" + id),
				Value: plan.Placement{On: plan.OnDeck, At: plan.Spot{Back: quantity.Length(back)}},
			},
		},
	}, 2+p/50), true
}

// ontoDeck brings a load back within the deck.
func ontoDeck(r *rig.Rig, path string) []finding.Way {
	for i := range r.Items {
		it := &r.Items[i]
		if it.Path != path || it.Pinned {
			continue
		}
		from, to := r.Free(it)
		goal := math.Round(min(max(float64(it.At.Back), from), to)*100) / 100
		return []finding.Way{wayOut(finding.Variant{
			Name: said.Say("bring % back onto the deck", said.Name(it.Name, "the load")),
			Patch: append(
				setPlace(it, "back", float64(it.At.Back), goal),
				finding.Op{Op: "add", Path: it.PlacePath + "/at/right", Value: 0.0},
			),
		}, 0)}
	}
	return nil
}

// awayFromCar slides what comes nearest to the car back, as far as leaves room or until it is clear; or all loads.
func awayFromCar(r *rig.Rig, f *finding.Finding) []finding.Way {
	it := clearance.Measure(r).By
	if it == nil || it.Part || it.Pinned || f.Figure == nil || f.Limit == nil {
		return nil
	}
	_, to := r.Free(it)
	at, gap := float64(it.At.Back), f.Figure.Value
	var out []finding.Way
	for _, leaves := range []float64{f.Limit.Value, 0.01} {
		goal := math.Ceil((at+leaves-gap)*100-1e-6) / 100
		if leaves <= gap || goal > to+1e-9 {
			continue
		}
		out = append(out, wayOut(finding.Variant{
			Name:  said.Say("slide % % back", said.Name(it.Name, "the load"), said.Length(goal-at)),
			Patch: setPlace(it, "back", at, goal),
		}, goal-at))
	}
	return append(out, slideTogether(r, f.Limit.Value-gap)...)
}

// lighten takes off what a rating is over by: from a load that can be divided,
// stated in trips, or by leaving a whole load at home. What a kilogram of the
// load at x adds to the figure is 1, x/L or (L − x)/L by what the rating reads.
func lighten(r *rig.Rig, link string, over float64) []finding.Way {
	var out []finding.Way
	for i := range r.Items {
		it := &r.Items[i]
		if it.Part || it.Mass == nil || it.Mass.Nominal <= 0 {
			continue
		}
		adds := 1.0
		if r.Axle != nil {
			switch link {
			case "axle", "tyres", "springs", "on-wheels":
				adds = it.X / r.Axle.Nominal
			case "ball-limit", "hitch-ball", "coupling-ball":
				adds = (r.Axle.Nominal - it.X) / r.Axle.Nominal
			}
		}
		if adds <= 0.05 {
			continue
		}
		take := math.Ceil(over/adds/5) * 5
		load := r.Plan.Loads[it.ID]
		left := it.Mass.Nominal - take
		if left > 0.3*it.Mass.Nominal && divisible(&load) {
			// All trips alike, so that what is judged is each of them.
			trips := math.Ceil(it.Mass.Nominal/left - 1e-9)
			each := it.Mass.Nominal / trips
			out = append(out, wayOut(finding.Variant{
				Name: said.Say(
					"carry % of % a trip, % trips alike",
					said.Mass(each),
					said.Name(it.Name, "the load"),
					said.Count(int(trips)),
				),
				Patch: []finding.Op{
					{Op: "test", Path: it.Path + "/mass/value", Value: float64(load.Mass.Value)},
					{Op: "replace", Path: it.Path + "/mass/value", Value: float64(load.Mass.Value) / trips},
				},
			}, 1+take/100))
		} else if it.Mass.Nominal >= take {
			out = append(out, wayOut(finding.Variant{
				Name:  said.Say("leave % at home", said.Name(it.Name, "the load")),
				Patch: []finding.Op{{Op: "remove", Path: it.PlacePath}},
			}, 5+it.Mass.Nominal/100))
		}
	}
	return out
}

// divisible reports whether part of a load can be taken off it.
func divisible(l *plan.Load) bool {
	k, ok := catalogue.LoadOf(l.Kind)
	return l.Mass != nil && (!ok || k.Shape == "heap" || k.Shape == "box")
}
