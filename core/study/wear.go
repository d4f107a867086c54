package study

import (
	"cmp"
	"slices"
	"time"

	"zygonos/core/facts/norms"
	"zygonos/core/lang/finding"
	"zygonos/core/lang/quantity"
	"zygonos/core/plan"
	"zygonos/core/records"
)

// WearRow is a thing with a clock.
type WearRow struct {
	ID    string           `json:"id"`
	Name  string           `json:"name"`
	Does  string           `json:"does"`
	Last  string           `json:"last,omitempty"`  // day
	Due   string           `json:"due,omitempty"`   // day, by its months
	Since *finding.Measure `json:"since,omitempty"` // driven since, by the trips
	Left  *finding.Measure `json:"left,omitempty"`  // that it may still be driven
	State string           `json:"state"`           // over, soon, good, unknown
}

// soonDays is from how many days before its day a thing is due soon; soonFar the share of its way (practice, C).
const (
	soonDays = 30
	soonFar  = 0.9
)

// Wear are the things of a trailer that have a clock, those that are over their time first. What was never seen to is not known.
func Wear(p *plan.Plan, trailer string, all records.All, today string) []WearRow {
	t, ok := p.Trailers[trailer]
	out := []WearRow{}
	if !ok {
		return out
	}
	has := map[string]bool{
		"": true, "brakes": t.Brakes != "" && t.Brakes != plan.BrakesNone, "leaf": t.Suspension == plan.SpringsLeaf,
		"deck": t.Floor == plan.FloorBoards ||
			t.Floor == plan.FloorPly, "tip": t.Tipping != nil, "lamps": t.Wiring != nil || t.Lights != "",
	}
	now, clock := time.Parse(time.DateOnly, today)
	for _, w := range norms.Wearings {
		if !has[w.Needs] {
			continue
		}
		row := WearRow{ID: w.ID, Name: w.Name, Does: w.Does, State: "unknown"}
		for _, rec := range all {
			if rec.Trailer == trailer && rec.Wear != nil && rec.Wear.What == w.ID && rec.On > row.Last &&
				(today == "" || rec.On <= today) {
				row.Last = rec.On
			}
		}
		if row.Last != "" {
			row.judge(&w, trailer, all, now, clock == nil)
		}
		out = append(out, row)
	}
	rank := map[string]int{"over": 0, "soon": 1, "unknown": 2, "good": 3}
	slices.SortStableFunc(out, func(a, b WearRow) int { return cmp.Compare(rank[a.State], rank[b.State]) })
	return out
}

// judge counts months and metres since the last time: over at either.
func (r *WearRow) judge(w *norms.Wearing, trailer string, all records.All, now time.Time, clock bool) {
	last, err := time.Parse(time.DateOnly, r.Last)
	if err != nil {
		return
	}
	r.State = "good"
	worse := func(state string) {
		if state == "over" || r.State == "good" {
			r.State = state
		}
	}
	if w.Months > 0 {
		due := last.AddDate(0, w.Months, 0)
		r.Due = due.Format(time.DateOnly)
		switch {
		case clock && now.After(due):
			worse("over")
		case clock && now.AddDate(0, 0, soonDays).After(due):
			worse("soon")
		}
	}
	far := 0.0
	for _, rec := range all {
		if rec.Trailer == trailer && rec.Trip != nil && rec.On >= r.Last {
			far += valueOf(rec.Trip.Far)
		}
	}
	r.Since = finding.Exactly(quantity.KindDistance, far)
	if w.Far > 0 {
		r.Left = finding.Exactly(quantity.KindDistance, max(0, w.Far-far))
		switch {
		case far > w.Far:
			worse("over")
		case far > soonFar*w.Far:
			worse("soon")
		}
	}
}
