package study

import (
	"fmt"
	"maps"
	"math"
	"slices"

	"zygonos/core/ask/energy"
	"zygonos/core/lang/finding"
	"zygonos/core/lang/quantity"
	"zygonos/core/lang/said"
	"zygonos/core/learn"
	"zygonos/core/plan"
	"zygonos/core/records"
	"zygonos/core/review"
	"zygonos/core/rig"
)

// Drives is what an outing's drive takes, with each car, at once or in two, and what the trips taught.
type Drives struct {
	Trip    *energy.Trip     `json:"trip"`
	Cars    []DriveRow       `json:"cars"` // two and more, side by side
	One     *finding.Measure `json:"one,omitempty"`
	Two     *finding.Measure `json:"two,omitempty"`
	Split   said.Sentence    `json:"split,omitempty"`
	Learned *DriveFactor     `json:"learned,omitempty"`
}

// DriveRow is the drive with one car.
type DriveRow struct {
	Vehicle string           `json:"vehicle"`
	Name    said.Piece       `json:"name"`
	Whole   *finding.Measure `json:"whole,omitempty"`
	By      *finding.Measure `json:"by,omitempty"`
	Money   *finding.Measure `json:"money,omitempty"`
	CO2     *finding.Measure `json:"co2,omitempty"`
	Range   *finding.Measure `json:"range,omitempty"`
	Short   *finding.Measure `json:"short,omitempty"`
	Needs   []finding.Need   `json:"needs"`
}

// DriveFactor is what was filled up against the sum.
type DriveFactor struct {
	Mean finding.Measure `json:"mean"` // share of the sum, with its band of nine in ten
	Used []string        `json:"used"` // records of the trips
	Out  []string        `json:"out"`
	Says said.Sentence   `json:"says"`
	Use  []finding.Op    `json:"use"`
}

// Figures of learning from what was filled up (practice, C).
const (
	fillUpDoubt = 0.05 // a pump does not stop at the same place
	fuelScatter = 0.08 // wind, traffic, cold
)

// fuelPrior is what the sum may be off before any trip.
var fuelPrior = learn.Prior{Low: 0.75, High: 1.30}

// DrivesOf is what an outing's drive takes.
func DrivesOf(p *plan.Plan, trailer, outing string, all records.All, today string) *Drives {
	review.Ready(p)
	r := rig.Resolve(p, trailer, outing)
	out := &Drives{Trip: energy.Of(r), Cars: []DriveRow{}}
	if r == nil || r.Outing == nil {
		return out
	}
	if len(p.TowVehicles) > 1 {
		for _, id := range plan.Ordered(p.TowVehicles, func(v plan.TowVehicle) int { return v.Order }) {
			t := energy.Of(rig.Resolve(withCar(p, outing, id), trailer, outing))
			out.Cars = append(out.Cars, DriveRow{
				id, said.Name(p.TowVehicles[id].Name, "A car"), t.Whole, t.By, t.Money, t.CO2, t.Range, t.Short, t.Needs,
			})
		}
	}
	if one, two, ok := energy.Split(r); ok {
		out.One, out.Two = one, two
		out.Split = said.Say("In one drive %, in two with half the load each %.",
			said.Of(one.Kind, one.Value), said.Of(two.Kind, two.Value))
	}
	out.Learned = factorOf(p, r, all, today)
	return out
}

// withCar is the plan with another car at an outing.
func withCar(p *plan.Plan, outing, vehicle string) *plan.Plan {
	q := *p
	q.Outings = maps.Clone(p.Outings)
	o := q.Outings[outing]
	o.Vehicle = vehicle
	q.Outings[outing] = o
	return &q
}

// rates are what outings take by distance, each computed once: it grows by the load's mass in a straight line.
type rates struct {
	plan    *plan.Plan
	trailer string
	known   map[string]rate
}

type rate struct {
	planned, empty, by float64 // l or kWh of a metre: as planned, without load, for each kilogram more
	power              bool
	ok                 bool
}

func ratesOf(p *plan.Plan, trailer string) *rates { return &rates{p, trailer, map[string]rate{}} }

func (k *rates) of(outing string) rate {
	if r, ok := k.known[outing]; ok {
		return r
	}
	var out rate
	o, is := k.plan.Outings[outing]
	if v, car := k.plan.TowVehicles[o.Vehicle]; is && car && v.Thirst != nil {
		r := rig.Resolve(k.plan, k.trailer, outing)
		none, much := 0.0, 1000.0
		a, ok1 := energy.Rate(r, nil)
		b, ok2 := energy.Rate(r, &none)
		c, ok3 := energy.Rate(r, &much)
		out = rate{a, b, (c - b) / much, v.Thirst.By == plan.Electric, ok1 && ok2 && ok3}
	}
	k.known[outing] = out
	return out
}

// filled is what a trip took over what the sum has for its distance and load; ok is false where one is missing.
func (k *rates) filled(t *records.TripRecord) (ratio float64, ok bool) {
	took := 0.0
	if t.Far == nil || !(*t.Far > 0) || t.Fuel == nil && t.Power == nil {
		return 0, false
	}
	r := k.of(t.Outing)
	switch {
	case r.power && t.Power != nil:
		took = float64(*t.Power)
	case !r.power && t.Fuel != nil:
		took = float64(*t.Fuel)
	}
	perMetre := r.planned
	if t.Load != nil {
		perMetre = r.empty + r.by*float64(*t.Load)
	}
	if !r.ok || !(took > 0) || !(perMetre > 0) {
		return 0, false
	}
	return took / (perMetre * float64(*t.Far)), true
}

// factorOf learns how far the sum is off for the outing's car from the trips with it.
func factorOf(p *plan.Plan, r *rig.Rig, all records.All, today string) *DriveFactor {
	if r.Vehicle == nil || r.Vehicle.Thirst == nil {
		return nil
	}
	var readings []learn.Reading
	known := ratesOf(p, r.Scope.Trailer)
	for _, id := range slices.Sorted(maps.Keys(all)) {
		rec := all[id]
		if rec.Trip == nil || rec.Trailer != r.Scope.Trailer || today != "" && rec.On > today ||
			p.Outings[rec.Trip.Outing].Vehicle != r.VehicleID {
			continue
		}
		if ratio, ok := known.filled(rec.Trip); ok {
			readings = append(readings, learn.Reading{ID: id, Value: ratio, Doubt: fillUpDoubt * ratio})
		}
	}
	if len(readings) == 0 {
		return nil
	}
	l := learn.Normal(fuelPrior, readings, fuelScatter)
	out := &DriveFactor{
		Mean: *finding.Of(quantity.KindShare, quantity.Range[float64]{Low: l.Low, Nominal: l.Mean, High: l.High}),
		Used: l.Used, Out: l.Out, Use: []finding.Op{},
	}
	way := "more"
	if l.Mean < 1 {
		way = "less"
	}
	out.Says = said.Say(
		"By % it takes % "+way+" than the sum, to within %.",
		said.Counted(
			len(l.Used),
			"trip",
			"trips",
		),
		said.Of(quantity.KindShare, math.Round(math.Abs(l.Mean-1)*100)/100),
		said.Of(quantity.KindShare, math.Round((l.High-l.Mean)*100)/100),
	)
	if n := len(l.Out); n > 0 {
		out.Says = append(
			out.Says,
			said.Say(" % not counted: it does not fit with the others.", said.Counted(n, "trip is", "trips are"))...)
	}
	value := math.Round(l.Mean*100) / 100
	if f := r.Vehicle.Thirst.Factor; f == nil || math.Abs(*f-value) > 0.005 {
		path := fmt.Sprintf("/towVehicles/%s/thirst/factor", r.VehicleID)
		out.Use = append(out.Use, finding.Op{Op: "add", Path: path, Value: value})
	}
	return out
}
