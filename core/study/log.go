package study

import (
	"cmp"
	"maps"
	"math"
	"slices"

	"zygonos/core/facts/catalogue"
	"zygonos/core/lang/finding"
	"zygonos/core/lang/quantity"
	"zygonos/core/lang/said"
	"zygonos/core/learn"
	"zygonos/core/plan"
	"zygonos/core/records"
)

// LogBook is what was driven and weighed with a trailer, and what that teaches.
type LogBook struct {
	Trips     []TripRow        `json:"trips"` // the latest first
	Far       *finding.Measure `json:"far,omitempty"`
	Carried   *finding.Measure `json:"carried,omitempty"`
	Says      said.Sentence    `json:"says"`
	Ball      said.Sentence    `json:"ball,omitempty"` // how good the plan was
	Slips     []SlipRow        `json:"slips"`          // the latest first
	Materials []MaterialRow    `json:"materials"`
	Masses    []MassRow        `json:"masses"` // of loads and of the empty trailer, as the slips have them
	Wear      []WearRow        `json:"wear"`
}

// TripRow is a trip.
type TripRow struct {
	Record string        `json:"record"`
	On     string        `json:"on,omitempty"`
	Name   said.Piece    `json:"name"`
	Warns  said.Sentence `json:"warns,omitempty"`
	Off    said.Sentence `json:"off,omitempty"`  // what was read against what was computed
	Card   said.Sentence `json:"card,omitempty"` // of that day's departure card
}

// SlipRow is a slip with what follows from it.
type SlipRow struct {
	Record  string           `json:"record"`
	On      string           `json:"on,omitempty"`
	Name    said.Piece       `json:"name"`
	Load    *finding.Measure `json:"load,omitempty"`
	Density *finding.Measure `json:"density,omitempty"`
	PerTon  *finding.Measure `json:"perTon,omitempty"` // money by 1000 kg
	Out     bool             `json:"out,omitempty"`    // the others make it all but impossible: not counted
	Wrong   said.Sentence    `json:"wrong,omitempty"`  // why it cannot be used
}

// MaterialRow is a material as the slips have it.
type MaterialRow struct {
	Material string          `json:"material"`
	Name     said.Piece      `json:"name"`
	Typical  finding.Measure `json:"typical"`
	Mean     finding.Measure `json:"mean"` // with its band of nine in ten
	Load     finding.Measure `json:"load"` // of the next load: the material's own scatter too
	Slips    int             `json:"slips"`
	Says     said.Sentence   `json:"says"`
	Use      []finding.Op    `json:"use"` // puts it into the plan; empty where it stands there
	// records of the slips behind it, and of those that are not counted
	Used []string `json:"used"`
	Out  []string `json:"out"`
}

// Figures of learning (practice, C).
const (
	fillDoubt  = 0.10 // of a volume that was measured with a tape
	massDoubt  = 10.0 // kg of a weighbridge, each reading
	ownScatter = 0.05 // of a material from one load to the next: moisture, packing
	hubsApart  = 20.0 // K that one hub may be hotter than the other
	hubHot     = 70.0 // °C
	tonne      = 1000.0
)

// Log is a trailer's book. today is the day on which it is asked: what lies after it is a slip of the pen.
func Log(p *plan.Plan, trailer string, all records.All, today string) *LogBook {
	out := &LogBook{Trips: []TripRow{}, Slips: []SlipRow{}, Materials: []MaterialRow{}, Masses: []MassRow{}}
	ids := slices.SortedFunc(maps.Keys(all), func(a, b string) int { return latestFirst(all, a, b) })
	readings, known := map[string][]learn.Reading{}, ratesOf(p, trailer)
	far, carried, trips := 0.0, 0.0, 0
	var off []float64
	for _, id := range ids {
		rec := all[id]
		if rec.Trailer != trailer {
			continue
		}
		switch {
		case rec.Trip != nil:
			out.Trips = append(out.Trips, tripOf(p, known, id, rec, today))
			if rec.On > today && today != "" {
				continue
			}
			trips++
			far, carried = far+valueOf(rec.Trip.Far), carried+valueOf(rec.Trip.Load)
			if a, b := rec.Trip.BallSaid, rec.Trip.BallRead; a != nil && b != nil {
				off = append(off, float64(*b-*a))
			}
		case rec.Slip != nil:
			row, r, ok := slipOf(p, id, rec, today)
			if ok {
				readings[rec.Slip.Material] = append(readings[rec.Slip.Material], r)
			}
			out.Slips = append(out.Slips, row)
		}
	}
	for _, m := range slices.Sorted(maps.Keys(readings)) {
		out.materialOf(p, m, readings[m])
	}
	out.massesOf(p, trailer, all)
	out.mileage(all)
	out.Says = said.Say("No trip is recorded yet.")
	if trips > 0 {
		out.Far, out.Carried = finding.Exactly(
			quantity.KindDistance,
			far,
		), finding.Exactly(
			quantity.KindMass,
			carried,
		)
		out.Says = said.Say(
			"%, %, % carried.",
			said.Counted(trips, "trip", "trips"),
			said.Of(quantity.KindDistance, far),
			said.Mass(carried),
		)
	}
	out.Ball, out.Wear = ballSays(off), Wear(p, trailer, all, today)
	return out
}

// latestFirst is the order of records by their day.
func latestFirst(all records.All, a, b string) int {
	return cmp.Or(cmp.Compare(all[b].On, all[a].On), cmp.Compare(all[b].Order, all[a].Order), cmp.Compare(a, b))
}

func valueOf[Q ~float64](v *Q) float64 {
	if v == nil {
		return 0
	}
	return float64(*v)
}

// tripOf is a trip with what its first stop showed.
func tripOf(p *plan.Plan, known *rates, id string, rec *records.Happened, today string) TripRow {
	t := rec.Trip
	row := TripRow{
		Record: id,
		On:     rec.On,
		Name:   said.Name(p.Outings[t.Outing].Name, "A trip"),
		Off:    offOf(known, rec),
	}
	for _, d := range p.Outings[t.Outing].Departures {
		ticked := 0
		for _, on := range d.Ticks {
			if on {
				ticked++
			}
		}
		if d.On == rec.On && ticked > 0 {
			row.Card = said.Say("% on the departure card.", said.Counted(ticked, "tick", "ticks"))
		}
	}
	switch {
	case today != "" && rec.On > today:
		row.Warns = said.Say("That day is still to come; it is not counted.")
	case t.HubLeft != nil && t.HubRight != nil && math.Abs(float64(*t.HubLeft-*t.HubRight)) > hubsApart:
		row.Warns = said.Say(
			"One hub was % hotter than the other: look at its brake and bearing before the next trip.",
			said.Of(quantity.KindDifference, math.Abs(float64(*t.HubLeft-*t.HubRight))),
		)
	case valueOf(t.HubLeft) > hubHot || valueOf(t.HubRight) > hubHot:
		row.Warns = said.Say(
			"A hub was hotter than %: do not drive on until bearing and brake have been checked.",
			said.Of(quantity.KindTemperature, hubHot),
		)
	case t.Nuts:
		row.Warns = said.Say("Wheel nuts had loosened: tighten them by the plate, and look again after [50 km].")
	case t.Slack:
		row.Warns = said.Say("A strap was slack: stop sooner next time, and look where the load settled.")
	}
	return row
}

// slipOf is a slip, and the density that it gives: load over fill, its doubt by √((σ_m/m)² + (σ_V/V)²).
func slipOf(p *plan.Plan, id string, rec *records.Happened, today string) (row SlipRow, r learn.Reading, ok bool) {
	s := rec.Slip
	m, known := catalogue.MaterialOf(s.Material)
	row = SlipRow{Record: id, On: rec.On, Name: said.Piece{Text: cmp.Or(m.Name, "a load")}}
	if s.Load != "" {
		row.Name, known = said.Name(p.Loads[s.Load].Name, "a load"), false
	}
	switch {
	case today != "" && rec.On > today:
		row.Wrong = said.Say("That day is still to come.")
		return row, r, false
	case s.Full == nil || s.Empty == nil:
		row.Wrong = said.Say("Both weights are needed: loaded and empty.")
		return row, r, false
	case *s.Empty >= *s.Full:
		row.Wrong = said.Say("Empty it was heavier than loaded: the two are swapped, or one is misread.")
		return row, r, false
	}
	load := float64(*s.Full - *s.Empty)
	row.Load = finding.Exactly(quantity.KindMass, load)
	if s.Price != nil {
		row.PerTon = finding.Exactly(quantity.KindMoney, float64(*s.Price)/load*tonne)
	}
	if s.Fill == nil || !(*s.Fill > 0) || !known {
		return row, r, false
	}
	doubt := fillDoubt
	if s.FillDoubt != nil {
		doubt = *s.FillDoubt
	}
	density := load / float64(*s.Fill)
	r = learn.Reading{ID: id, Value: density, Doubt: density * math.Hypot(math.Sqrt2*massDoubt/load, doubt)}
	row.Density = finding.Of(
		quantity.KindDensity,
		quantity.Range[float64]{Low: density - r.Doubt, Nominal: density, High: density + r.Doubt},
	)
	return row, r, true
}

// materialOf narrows a material by its slips, and offers it to the plan: as a material of its own that lies like the usual one,
// for the loads that are of it.
func (o *LogBook) materialOf(p *plan.Plan, id string, readings []learn.Reading) {
	m, _ := catalogue.MaterialOf(id)
	low, high := m.Density()
	prior := learn.Prior{Low: low, High: high}
	middle := (low + high) / 2
	l := learn.Normal(prior, readings, ownScatter*middle)
	next := math.Hypot(l.SD, ownScatter*middle) * (l.High - l.Mean) / math.Max(l.SD, 1e-9) // the same nine in ten
	for i := range o.Slips {
		o.Slips[i].Out = o.Slips[i].Out || slices.Contains(l.Out, o.Slips[i].Record)
	}
	round := func(v float64) float64 { return math.Round(v/10) * 10 }
	row := MaterialRow{
		Material: id, Name: said.Piece{Text: m.Name}, Slips: len(l.Used), Use: []finding.Op{}, Used: l.Used, Out: l.Out,
		Typical: *finding.Of(quantity.KindDensity, quantity.Range[float64]{Low: low, Nominal: middle, High: high}),
		Mean:    *finding.Of(quantity.KindDensity, quantity.Range[float64]{Low: l.Low, Nominal: l.Mean, High: l.High}),
		Load:    *finding.Of(quantity.KindDensity, quantity.Range[float64]{Low: l.Mean - next, Nominal: l.Mean, High: l.Mean + next}),
	}
	row.Says = said.Say(
		"Your %: % by %, the next load to within %.",
		row.Name,
		said.Of(quantity.KindDensity, round(l.Mean)),
		said.Counted(len(l.Used), "slip", "slips"),
		said.Of(quantity.KindDensity, round(next)),
	)
	if len(l.Out) > 0 {
		row.Says = append(
			row.Says,
			said.Say(
				" % not counted: it does not fit with the others.",
				said.Counted(len(l.Out), "slip is", "slips are"),
			)...)
	}
	own := "learned-" + id
	value, doubt := quantity.Density(round(l.Mean)), quantity.Density(round(next))
	have, there := p.Materials[own]
	if !there || have.Density == nil || have.Density.Value != value || have.Density.PlusMinus == nil ||
		*have.Density.PlusMinus != doubt || have.Density.Slips != len(l.Used) {
		order := 1
		for _, x := range p.Materials {
			order = max(order, x.Order+1)
		}
		if there {
			order = have.Order
		}
		entry := map[string]any{
			"order": order, "name": "our " + m.Name, "like": id,
			"density": map[string]any{
				"value": value, "plusMinus": doubt, "how": string(plan.Learned), "slips": len(l.Used),
			},
		}
		if len(p.Materials) == 0 {
			row.Use = append(row.Use, finding.Op{Op: "add", Path: "/materials", Value: map[string]any{own: entry}})
		} else {
			row.Use = append(row.Use, finding.Op{Op: "add", Path: "/materials/" + own, Value: entry})
		}
	}
	for _, load := range plan.Ordered(p.Loads, func(x plan.Load) int { return x.Order }) {
		if b := p.Loads[load].Bulk; b != nil && b.Material == id && b.Own == "" {
			row.Use = append(row.Use, finding.Op{Op: "add", Path: "/loads/" + load + "/bulk/own", Value: own})
		}
	}
	o.Materials = append(o.Materials, row)
}

// ballSays is how good the plan was at the ball: the mean of what was read over what was said, where there are three.
func ballSays(off []float64) said.Sentence {
	if len(off) < 3 {
		return nil
	}
	mean, most := 0.0, 0.0
	for _, v := range off {
		mean += v / float64(len(off))
		most = math.Max(most, math.Abs(v))
	}
	way := "heavier"
	if mean < 0 {
		way = "lighter"
	}
	return said.Say("Over % readings the ball was on average % "+way+" than the plan said, % off at most.",
		said.Count(len(off)), said.Mass(math.Abs(mean)), said.Mass(most))
}
