package web

import (
	"fmt"
	"strings"
	"time"

	ical "github.com/arran4/golang-ical"
	"github.com/gofiber/fiber/v3"

	"zygonos/core/lang/quantity"
	"zygonos/core/lang/said"
	"zygonos/core/plan"
	"zygonos/core/records"
	"zygonos/core/review"
	"zygonos/core/study"
	"zygonos/core/sums/schedule"
)

const calendarType = "text/calendar"

// daysCalendar sends the days of work as iCalendar (RFC 5545).
func (s *server) daysCalendar(c fiber.Ctx) error {
	a, err := asking(c)
	if err != nil {
		return err
	}
	names := make([]string, len(ofWork))
	for i, k := range ofWork {
		names[i] = string(k)
	}
	var all records.All
	if a.Kept != "" {
		if all, err = s.happened(c.Context(), a.Kept, names...); err != nil {
			return err
		}
	}
	review.Ready(a.Plan)
	days := study.LayDays(a.Plan, a.Trailer, a.Outing, all, a.Today, schedule.Draws)
	c.Set(fiber.HeaderContentType, calendarType+"; charset=utf-8")
	c.Set(fiber.HeaderContentDisposition, `attachment; filename="`+fileName(a.Plan.Name)+`-days.ics"`)
	return c.SendString(daysICS(a.Plan, days, a.Today))
}

// wearCalendar sends what is due by its months as iCalendar: a whole day each, with an alarm a week before.
func (s *server) wearCalendar(c fiber.Ctx) error {
	a, err := asking(c)
	if err != nil {
		return err
	}
	all, err := s.happened(c.Context(), a.Kept, string(records.KindWear), string(records.KindTrip))
	if err != nil {
		return err
	}
	rows := study.Wear(a.Plan, a.Trailer, all, a.Today)
	c.Set(fiber.HeaderContentType, calendarType+"; charset=utf-8")
	c.Set(fiber.HeaderContentDisposition, `attachment; filename="`+fileName(a.Plan.Name)+`-wear.ics"`)
	return c.SendString(wearICS(a.Plan.Trailers[a.Trailer].Name, rows, a.Today, a.Plan.Locale()))
}

func wearICS(trailer string, rows []study.WearRow, today string, l quantity.Locale) string {
	cal := ical.NewCalendar()
	cal.SetProductId("-//Zygonos//Wear//EN")
	cal.SetMethod(ical.MethodPublish)
	stamp, err := time.Parse(time.DateOnly, today)
	if err != nil {
		stamp = time.Unix(0, 0).UTC()
	}
	for _, w := range rows {
		due, err := time.Parse(time.DateOnly, w.Due)
		if err != nil {
			continue
		}
		if due.Before(stamp) { // over: today
			due = stamp
		}
		e := cal.AddEvent(fmt.Sprintf("wear-%s-%s@zygonos", w.ID, strings.ReplaceAll(w.Due, "-", "")))
		e.SetDtStampTime(stamp)
		e.SetAllDayStartAt(due)
		e.SetAllDayEndAt(due.AddDate(0, 0, 1))
		e.SetSummary(listed(trailer) + ": " + w.Name.Text(l))
		e.SetDescription(w.Does.Text(l))
		alarm := e.AddAlarm()
		alarm.SetAction(ical.ActionDisplay)
		alarm.SetTrigger("-P7D")
		alarm.SetProperty(ical.ComponentPropertyDescription, w.Name.Text(l))
	}
	return cal.Serialize(ical.WithNewLineWindows)
}

// daysICS writes sittings and deliveries. Times are floating (RFC 5545, 3.3.5, form 1): the clock on the wall wherever it is
// read, so that no change of the clock shifts them.
func daysICS(p *plan.Plan, days *study.WorkDays, today string) string {
	cal := ical.NewCalendar()
	cal.SetProductId("-//Zygonos//Days//EN")
	cal.SetMethod(ical.MethodPublish)
	stamp, err := time.Parse(time.DateOnly, today)
	if err != nil {
		stamp = time.Unix(0, 0).UTC()
	}
	l := quantity.Locale{Units: p.Units, Region: p.Region}
	floating := func(s string) string { return strings.NewReplacer("-", "", ":", "").Replace(s) + "00" }
	for i, s := range days.Sits {
		e := cal.AddEvent(fmt.Sprintf("sitting-%d-%s@zygonos", i+1, floating(s.From)))
		e.SetDtStampTime(stamp)
		e.SetProperty(ical.ComponentPropertyDtStart, floating(s.From))
		e.SetProperty(ical.ComponentPropertyDtEnd, floating(s.To))
		var steps []string
		for _, x := range s.Steps {
			steps = append(steps, said.Sentence(x).Text(l))
		}
		name := listed(p.Name)
		if s.Two {
			name += ", two people"
		}
		e.SetSummary(name + ": " + strings.TrimSuffix(steps[0], "."))
		e.SetDescription(strings.Join(steps, "\n"))
		alarm := e.AddAlarm()
		alarm.SetAction(ical.ActionDisplay)
		alarm.SetTrigger("-PT12H")
		alarm.SetProperty(ical.ComponentPropertyDescription, name)
	}
	for i, d := range days.Comes {
		day, err := time.Parse(time.DateOnly, d.On)
		if err != nil {
			continue
		}
		e := cal.AddEvent(fmt.Sprintf("delivery-%d-%s@zygonos", i+1, floating(d.On)))
		e.SetDtStampTime(stamp)
		e.SetAllDayStartAt(day)
		e.SetAllDayEndAt(day.AddDate(0, 0, 1))
		e.SetSummary("Comes: " + listed(d.Name))
	}
	return cal.Serialize(ical.WithNewLineWindows)
}
