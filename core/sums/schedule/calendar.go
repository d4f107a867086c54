package schedule

import (
	"cmp"
	"math"
	"slices"
	"time"
)

// Weekly is a stretch of each week in which hands are there, hours of the day by the clock on the wall.
type Weekly struct {
	Day      time.Weekday
	From, To float64
}

// Day is a day of the calendar, YYYY-MM-DD; ok is false where it is none.
func Day(s string) (t time.Time, ok bool) {
	t, err := time.Parse(time.DateOnly, s)
	return t, err == nil
}

// Slots are the stretches of so many days from a day on, hours since its midnight by the clock on the wall: each day has
// twenty-four, also the one on which the clock is changed. Days that are off have none; stretches that overlap are one.
func Slots(from time.Time, weekly []Weekly, off map[string]bool, days int) (out []Slot) {
	for d := range days {
		day := from.AddDate(0, 0, d)
		if off[day.Format(time.DateOnly)] {
			continue
		}
		var own []Slot
		for _, w := range weekly {
			a, b := math.Max(0, w.From), math.Min(24, w.To)
			if w.Day == day.Weekday() && b > a {
				own = append(own, Slot{float64(24*d) + a, float64(24*d) + b})
			}
		}
		slices.SortFunc(own, func(a, b Slot) int { return cmp.Compare(a.From, b.From) })
		for _, s := range own {
			if n := len(out); n > 0 && s.From <= out[n-1].To {
				out[n-1].To = math.Max(out[n-1].To, s.To)
				continue
			}
			out = append(out, s)
		}
	}
	return out
}

// At is the clock on the wall so many hours after midnight of a day, to the minute, as RFC 5545 writes it without its marks:
// YYYY-MM-DDTHH:MM. It is empty where the hours have no end.
func At(from time.Time, hours float64) string {
	if math.IsInf(hours, 0) || math.IsNaN(hours) {
		return ""
	}
	return from.Add(time.Duration(math.Round(hours*60)) * time.Minute).Format("2006-01-02T15:04")
}
