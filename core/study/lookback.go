package study

import (
	"maps"
	"slices"
	"time"

	"zygonos/core/cost"
	"zygonos/core/facts/norms"
	"zygonos/core/lang/finding"
	"zygonos/core/lang/quantity"
	"zygonos/core/lang/said"
	"zygonos/core/plan"
	"zygonos/core/records"
)

// LookBack is what was carried, driven and spent over time.
type LookBack struct {
	Months []MonthRow    `json:"months"` // the oldest first, without gaps
	Says   said.Sentence `json:"says"`
	Worn   []WornRow     `json:"worn"` // what was seen to, the latest first
	// what slips and trips taught
	Learned []said.Sentence `json:"learned"`
}

// MonthRow is a month.
type MonthRow struct {
	Month   string  `json:"month"` // 2026-04; of many, the year alone
	Trips   int     `json:"trips"`
	Far     float64 `json:"far"`     // m
	Carried float64 `json:"carried"` // kg
	Spent   float64 `json:"spent"`   // of ledger, wear and trips, tax counted
	Fuel    float64 `json:"fuel"`    // l
	Power   float64 `json:"power"`   // kWh
}

// WornRow is something that was seen to.
type WornRow struct {
	Record string           `json:"record"`
	On     string           `json:"on"`
	What   said.Sentence    `json:"what"`
	Cost   *finding.Measure `json:"cost,omitempty"`
	Far    *finding.Measure `json:"far,omitempty"` // driven since the time before
	Note   string           `json:"note,omitempty"`
}

// mostMonths is how far back it goes; from manyMonths on it goes by years.
const (
	mostMonths = 600
	manyMonths = 36
)

// Back looks back over a trailer's records up to today.
func Back(p *plan.Plan, trailer string, all records.All, today string) *LookBack {
	out := &LookBack{Months: []MonthRow{}, Worn: []WornRow{}, Learned: []said.Sentence{}}
	by := map[string]*MonthRow{}
	month := func(on string) *MonthRow {
		if len(on) < 7 || today != "" && on > today {
			return nil
		}
		m := by[on[:7]]
		if m == nil {
			m = &MonthRow{Month: on[:7]}
			by[on[:7]] = m
		}
		return m
	}
	for _, id := range slices.SortedFunc(maps.Keys(all), func(a, b string) int { return latestFirst(all, a, b) }) {
		rec := all[id]
		m := month(rec.On)
		if rec.Trailer != trailer || m == nil {
			continue
		}
		switch {
		case rec.Trip != nil:
			m.Trips++
			m.Far, m.Carried = m.Far+valueOf(rec.Trip.Far), m.Carried+valueOf(rec.Trip.Load)
			m.Fuel, m.Power = m.Fuel+valueOf(rec.Trip.Fuel), m.Power+valueOf(rec.Trip.Power)
			m.Spent += valueOf(rec.Trip.Cost)
		case rec.Spend != nil:
			m.Spent += float64(cost.Paid(rec.Spend))
		case rec.Wear != nil:
			m.Spent += valueOf(rec.Wear.Cost)
			out.Worn = append(out.Worn, wornOf(id, trailer, all))
		}
	}
	out.gapless(by)
	trips, far, carried := 0, 0.0, 0.0
	for _, m := range out.Months {
		trips, far, carried = trips+m.Trips, far+m.Far, carried+m.Carried
	}
	out.Says = said.Say("Nothing is recorded yet.")
	if len(out.Months) > 0 {
		out.Says = said.Say(
			"% in %: %, % carried.",
			said.Counted(trips, "trip", "trips"),
			said.Counted(
				len(out.Months),
				"month",
				"months",
			),
			said.Of(quantity.KindDistance, far),
			said.Mass(carried),
		)
	}
	if len(out.Months) > manyMonths {
		out.Months = yearly(out.Months)
	}
	log := Log(p, trailer, all, today)
	for _, x := range log.Materials {
		out.Learned = append(out.Learned, x.Says)
	}
	for _, x := range log.Masses {
		out.Learned = append(out.Learned, x.Says)
	}
	if len(log.Ball) > 0 {
		out.Learned = append(out.Learned, log.Ball)
	}
	return out
}

// gapless puts the months in a row, those without anything too, the latest of them.
func (o *LookBack) gapless(by map[string]*MonthRow) {
	keys := slices.Sorted(maps.Keys(by))
	if len(keys) == 0 {
		return
	}
	at, err1 := time.Parse("2006-01", keys[0])
	last, err2 := time.Parse("2006-01", keys[len(keys)-1])
	if err1 != nil || err2 != nil {
		return
	}
	if least := last.AddDate(0, 1-mostMonths, 0); at.Before(least) {
		at = least
	}
	for ; !at.After(last); at = at.AddDate(0, 1, 0) {
		row := MonthRow{Month: at.Format("2006-01")}
		if m := by[row.Month]; m != nil {
			row = *m
		}
		o.Months = append(o.Months, row)
	}
}

// yearly adds up months by their years.
func yearly(months []MonthRow) (out []MonthRow) {
	for _, m := range months {
		if n := len(out); n == 0 || out[n-1].Month != m.Month[:4] {
			out = append(out, MonthRow{Month: m.Month[:4]})
		}
		y := &out[len(out)-1]
		y.Trips += m.Trips
		y.Far, y.Carried, y.Spent = y.Far+m.Far, y.Carried+m.Carried, y.Spent+m.Spent
		y.Fuel, y.Power = y.Fuel+m.Fuel, y.Power+m.Power
	}
	return out
}

// wornOf is a record of wear, with the way since the one before of the same thing.
func wornOf(id, trailer string, all records.All) WornRow {
	rec := all[id]
	row := WornRow{Record: id, On: rec.On, What: said.Say(norms.WearingName(rec.Wear.What)), Note: rec.Note}
	if c := rec.Wear.Cost; c != nil {
		row.Cost = finding.Exactly(quantity.KindMoney, *c)
	}
	if d := rec.Wear.Tread; d != nil {
		row.What = append(row.What, said.Say(", %", said.Of(quantity.KindLength, float64(*d)))...)
	}
	before := ""
	for _, o := range all {
		if o.Wear != nil && o.Trailer == trailer && o.Wear.What == rec.Wear.What && o.On < rec.On && o.On > before {
			before = o.On
		}
	}
	if before == "" {
		return row
	}
	far := 0.0
	for _, o := range all {
		if o.Trip != nil && o.Trailer == trailer && o.On >= before && o.On < rec.On {
			far += valueOf(o.Trip.Far)
		}
	}
	row.Far = finding.Exactly(quantity.KindDistance, far)
	return row
}
