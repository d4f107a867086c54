package study

import (
	"math"
	"slices"
	"strings"

	"zygonos/core/ask/trouble"
	"zygonos/core/lang/finding"
	"zygonos/core/lang/said"
	"zygonos/core/plan"
	"zygonos/core/records"
	"zygonos/core/review"
)

// Troubles are what was wrong on the road, the latest first.
type Troubles struct {
	Rows []TroubleRow `json:"rows"`
}

// TroubleRow is one with what is behind it.
type TroubleRow struct {
	Record  string           `json:"record"`
	On      string           `json:"on,omitempty"`
	Opinion *trouble.Opinion `json:"opinion"`
}

// TroublesOf looks into each trouble with what the plan and the records say.
func TroublesOf(p *plan.Plan, trailer, outing string, all records.All, today string) *Troubles {
	out := &Troubles{Rows: []TroubleRow{}}
	var ids []string
	for id, rec := range all {
		if rec.Trouble != nil && rec.Trailer == trailer {
			ids = append(ids, id)
		}
	}
	if len(ids) == 0 {
		return out
	}
	slices.SortFunc(ids, func(a, b string) int { return latestFirst(all, a, b) })
	rep := review.Review(p, review.Request{Outing: outing, Trailer: trailer})
	hints := hintsOf(p, trailer, rep, all, today)
	t := p.Trailers[trailer]
	has := func(needs string) bool {
		switch needs {
		case "brakes":
			return t.Brakes != "" && t.Brakes != plan.BrakesNone
		case "overrun":
			return t.Brakes == plan.BrakesOverrun
		case "springs":
			return t.Suspension != plan.SpringsNone
		}
		return true
	}
	for _, id := range ids {
		rec := all[id]
		c := &trouble.Case{Signs: rec.Trouble.Signs, Seen: rec.Trouble.Seen, Hints: hints, Has: has}
		out.Rows = append(out.Rows, TroubleRow{id, rec.On, trouble.Find(c)})
	}
	return out
}

// latestTrips is over how many of the last trips readings are looked at.
const latestTrips = 3

// hintsOf are the looks that the plan's own findings and the last trips answer.
func hintsOf(p *plan.Plan, trailer string, rep *review.Report, all records.All, today string) (out []trouble.Hint) {
	add := func(look string, yes bool, says said.Sentence) {
		out = append(out, trouble.Hint{Look: look, Yes: yes, Says: says})
	}
	ballHints(rep, all, trailer, today, add)
	for i := range rep.Findings {
		f := &rep.Findings[i]
		if f.Outcome == finding.Unknown || f.Tight == finding.GuessTooRough {
			continue
		}
		bad := f.Outcome == finding.Fails
		switch {
		case f.Code == "workshop.axle":
			add("axleOff", f.Outcome != finding.Holds, f.Says)
		case f.Code == "workshop.toe":
			add("toeOff", f.Outcome != finding.Holds, f.Says)
		case f.Code == "balance.sides":
			add("sideHeavy", bad, f.Says)
		case f.Code == "stance.level":
			add("notLevel", bad, f.Says)
		case f.Code == "stance.pressure" && p.Trailers[trailer].TyrePressure != nil:
			add("pressureHigh", bad, f.Says)
		case strings.HasPrefix(f.Code, "towing.link.") && bad:
			add("massOver", true, f.Says)
		}
	}
	for _, w := range Wear(p, trailer, all, today) {
		if w.State != "over" {
			continue
		}
		says := slices.Concat(w.Name, said.Say(": over its time."))
		switch w.ID {
		case "bearings":
			add("play", true, says)
		case "tyres":
			add("tyreOld", true, says)
		case "brakes":
			add("brakeTravel", true, says)
		case "lamps":
			add("plugMoves", true, says)
		}
	}
	for _, id := range lastTrips(all, trailer, today) {
		t := all[id].Trip
		if t.HubLeft != nil && t.HubRight != nil && math.Abs(float64(*t.HubLeft-*t.HubRight)) > hubsApart {
			add("wheelStiff", true, said.Say("On a trip one hub was much hotter than the other."))
		}
		if t.Nuts {
			add("nutsLoose", true, said.Say("On a trip wheel nuts had loosened."))
		}
		if t.Slack {
			add("strapSlack", true, said.Say("On a trip a strap was slack."))
		}
	}
	return unlike(out)
}

// ballHints are of the ball: what was read on the last trips, else what the plan computes.
func ballHints(rep *review.Report, all records.All, trailer, today string, add func(string, bool, said.Sentence)) {
	w := rep.Figures.Window
	if w == nil {
		return
	}
	var ball float64
	says := "The plan has % on the ball, its window is % to %."
	n := 0
	for _, id := range lastTrips(all, trailer, today) {
		if b := all[id].Trip.BallRead; b != nil {
			ball, n = ball+float64(*b), n+1
		}
	}
	switch {
	case n > 0:
		ball /= float64(n)
		says = "The last trips had % on the ball, its window is % to %."
	case rep.Figures.Ball != nil:
		ball = rep.Figures.Ball.Value
	default:
		return
	}
	s := said.Say(says, said.Mass(ball), said.Mass(w.Low), said.Mass(w.High))
	add("ballLow", ball < w.Low, s)
	add("ballHigh", ball > w.High, s)
}

func lastTrips(all records.All, trailer, today string) (ids []string) {
	for id, rec := range all {
		if rec.Trip != nil && rec.Trailer == trailer && (today == "" || rec.On <= today) {
			ids = append(ids, id)
		}
	}
	slices.SortFunc(ids, func(a, b string) int { return latestFirst(all, a, b) })
	return ids[:min(len(ids), latestTrips)]
}

// unlike keeps one hint of each look, a yes before a no.
func unlike(hints []trouble.Hint) (out []trouble.Hint) {
	at := map[string]int{}
	for _, h := range hints {
		if i, is := at[h.Look]; !is {
			at[h.Look] = len(out)
			out = append(out, h)
		} else if h.Yes && !out[i].Yes {
			out[i] = h
		}
	}
	return out
}
