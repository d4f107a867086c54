package study

import (
	"cmp"
	"slices"
	"time"

	"zygonos/core/facts/norms"
	"zygonos/core/lang/finding"
	"zygonos/core/lang/quantity"
	"zygonos/core/lang/said"
	"zygonos/core/plan"
	"zygonos/core/records"
)

// WearRow is a thing with a clock.
type WearRow struct {
	ID    string           `json:"id"`
	Name  said.Sentence    `json:"name"`
	Does  said.Sentence    `json:"does"`
	Last  string           `json:"last,omitempty"`  // day
	Due   string           `json:"due,omitempty"`   // day, by its months
	Since *finding.Measure `json:"since,omitempty"` // driven since, by the trips
	Left  *finding.Measure `json:"left,omitempty"`  // that it may still be driven
	State string           `json:"state"`           // over, soon, good, unknown
	Why   said.Sentence    `json:"why,omitempty"`   // of one that is over or soon
	Reads bool             `json:"reads,omitempty"` // its record takes a depth
}

// soonDays is from how many days before its day a thing is due soon; soonFar the share of its way, loads, tips (practice, C).
const (
	soonDays = 30
	soonFar  = 0.9
)

// wearNeeds says what of what wears a trailer has.
func wearNeeds(p *plan.Plan, trailer string, t *plan.Trailer) map[string]bool {
	has := map[string]bool{
		"":        true,
		"brakes":  t.Brakes != "" && t.Brakes != plan.BrakesNone,
		"leaf":    t.Suspension == plan.SpringsLeaf || t.Suspension == plan.SpringsSlipper,
		"deck":    t.Floor == plan.FloorBoards || t.Floor == plan.FloorPly,
		"tip":     t.Tipping != nil,
		"lamps":   t.Wiring != nil || t.Lights != "",
		"battery": t.Breakaway != nil && *t.Breakaway || t.Wiring != nil && t.Wiring.Power != nil,
		"winch":   t.Tipping != nil,
	}
	for _, o := range p.Outings {
		if l := o.Layouts[trailer].Loading; l != nil && l.Winch != nil {
			has["winch"] = true
		}
	}
	return has
}

// Wear are the things of a trailer that have a clock, those that are over their time first. What was never seen to is not known.
func Wear(p *plan.Plan, trailer string, all records.All, today string) []WearRow {
	t, ok := p.Trailers[trailer]
	out := []WearRow{}
	if !ok {
		return out
	}
	has := wearNeeds(p, trailer, &t)
	now, clock := time.Parse(time.DateOnly, today)
	for _, w := range norms.Wearings {
		if !has[w.Needs] {
			continue
		}
		row := WearRow{
			ID:    w.ID,
			Name:  said.Say(w.Name),
			Does:  said.Say(w.Does),
			State: "unknown",
			Reads: w.ID == norms.TreadID,
		}
		for _, rec := range all {
			if rec.Trailer == trailer && rec.Wear != nil && rec.Wear.What == w.ID && rec.On > row.Last &&
				(today == "" || rec.On <= today) {
				row.Last = rec.On
			}
		}
		if row.Last != "" {
			row.judge(&w, sinceThen(trailer, all, row.Last, today), now, clock == nil)
			if row.Reads {
				row.tread(trailer, all, today)
			}
		}
		out = append(out, row)
	}
	rank := map[string]int{"over": 0, "soon": 1, "unknown": 2, "good": 3}
	slices.SortStableFunc(out, func(a, b WearRow) int { return cmp.Compare(rank[a.State], rank[b.State]) })
	return out
}

// tread holds the last depth that was read against what the law wants, and says from the one before how far
// it may still go: (d − 1.6 mm)/(d₁ − d)·(way between, but for what was driven on the two days of reading).
func (r *WearRow) tread(trailer string, all records.All, today string) {
	var days []string
	depths := map[string]float64{}
	for _, rec := range all {
		w := rec.Wear
		if rec.Trailer != trailer || w == nil || w.What != norms.TreadID || w.Tread == nil ||
			today != "" && rec.On > today {
			continue
		}
		d := float64(*w.Tread)
		if old, has := depths[rec.On]; !has || d < old {
			depths[rec.On] = d
		}
		if !slices.Contains(days, rec.On) {
			days = append(days, rec.On)
		}
	}
	if len(days) == 0 {
		if r.State == "good" {
			r.State, r.Why = "unknown", said.Say("Its depth is missing: enter the shallowest groove.")
		}
		return
	}
	slices.Sort(days)
	n := len(days)
	d := depths[days[n-1]]
	least, is := said.Of(quantity.KindLength, norms.LeastTread), said.Of(quantity.KindLength, d)
	switch {
	case d <= norms.LeastTread:
		r.State, r.Why = "over", said.Say("% left and % is the minimum: fit new {tyre}s before it is driven.", is, least)
	case d <= norms.NearTread && r.State != "over":
		r.State, r.Why = "soon", said.Say("% left; % is the minimum.", is, least)
	}
	if n == 1 || depths[days[n-2]] <= d {
		return
	}
	// a drive of a day of reading was before it or after it: between counts without both, since as many
	// kilometres less wear the tyre faster
	far := sinceThen(trailer, all, days[n-2], days[n-1]).far -
		sinceThen(trailer, all, days[n-2], days[n-2]).far - sinceThen(trailer, all, days[n-1], days[n-1]).far
	if left := (d - norms.LeastTread) / (depths[days[n-2]] - d) * far; far > 0 && left > 0 {
		left = max(0, left-sinceThen(trailer, all, days[n-1], today).far)
		if r.Left == nil || left < r.Left.Value {
			r.Left = finding.Exactly(quantity.KindDistance, left)
		}
		if left < 1e3 && r.State != "over" {
			r.State, r.Why = "over", said.Say("By its wear it is down to % now: measure it.", least)
		}
	}
}

// used is what a trailer did since a day, that day counted.
type used struct {
	far               float64 // m
	tips, dips, loads int
}

func sinceThen(trailer string, all records.All, day, today string) (u used) {
	for _, rec := range all {
		if rec.Trailer != trailer || rec.Trip == nil || rec.On < day || today != "" && rec.On > today {
			continue
		}
		u.far += valueOf(rec.Trip.Far)
		u.tips, u.dips = u.tips+rec.Trip.Tips, u.dips+rec.Trip.Dips
		if valueOf(rec.Trip.Load) > 0 {
			u.loads++
		}
	}
	return u
}

// judge counts months, way, tips, dips and loads since the last time: over at any of them.
func (r *WearRow) judge(w *norms.Wearing, u used, now time.Time, clock bool) {
	last, err := time.Parse(time.DateOnly, r.Last)
	if err != nil {
		return
	}
	r.State = "good"
	worse := func(state string, why said.Sentence) {
		if state == "over" && r.State != "over" || r.State == "good" {
			r.State, r.Why = state, why
		}
	}
	if w.Months > 0 {
		due := last.AddDate(0, w.Months, 0)
		r.Due = due.Format(time.DateOnly)
		months := said.Counted(w.Months, "month", "months")
		switch {
		case clock && now.After(due):
			worse("over", said.Say("Its % are over.", months))
		case clock && now.AddDate(0, 0, soonDays).After(due):
			worse("soon", said.Say("Its % are nearly over.", months))
		}
	}
	r.Since = finding.Exactly(quantity.KindDistance, u.far)
	if w.Far > 0 {
		r.Left = finding.Exactly(quantity.KindDistance, max(0, w.Far-u.far))
		why := said.Say(
			"% driven since then, of %.",
			said.Of(quantity.KindDistance, u.far),
			said.Of(quantity.KindDistance, w.Far),
		)
		switch {
		case u.far > w.Far:
			worse("over", why)
		case u.far > soonFar*w.Far:
			worse("soon", why)
		}
	}
	for _, c := range []struct {
		did, most int
		one, many string
	}{
		{u.dips, w.Dips, "dip of the hubs", "dips of the hubs"}, {u.tips, w.Tips, "tip or pull", "tips and pulls"},
		{u.loads, w.Loads, "load", "loads"},
	} {
		why := said.Say("% since, of %.", said.Counted(c.did, c.one, c.many), said.Count(c.most))
		switch {
		case c.most == 0:
		case c.did >= c.most:
			worse("over", why)
		case float64(c.did) > soonFar*float64(c.most):
			worse("soon", why)
		}
	}
}
