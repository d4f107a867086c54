package study

import (
	"math"
	"slices"
	"strings"
	"time"

	"zygonos/core/ask/workshop"
	"zygonos/core/lang/finding"
	"zygonos/core/lang/quantity"
	"zygonos/core/lang/said"
	"zygonos/core/plan"
	"zygonos/core/records"
	"zygonos/core/review"
	"zygonos/core/rig"
	"zygonos/core/sums/schedule"
)

// WorkDays are the steps of the workshop laid into the days that there is time.
type WorkDays struct {
	Rows   []DayRow         `json:"rows"`
	From   string           `json:"from"`            // day
	Ready  string           `json:"ready,omitempty"` // when all is done and dry, likely: YYYY-MM-DDTHH:MM
	Early  string           `json:"early,omitempty"` // in one of ten draws it is ready by then
	Late   string           `json:"late,omitempty"`  // in nine of ten
	Weekly float64          `json:"weekly"`          // hours a week
	Left   finding.Measure  `json:"left"`            // hours of hands, likely
	Pace   *float64         `json:"pace,omitempty"`  // what was taken over what was guessed, where it counts
	Says   said.Sentence    `json:"says"`
	Wants  string           `json:"wants,omitempty"` // day that it is wanted by
	Meets  string           `json:"meets,omitempty"` // "yes", "perhaps", "no"
	Sits   []Sitting        `json:"sits"`            // what is done when, for a calendar
	Comes  []plan.DayComing `json:"comes"`
	Needs  []finding.Need   `json:"needs"`
	Wrong  []said.Sentence  `json:"wrong"`
}

// DayRow is a step in its days.
type DayRow struct {
	ID     string        `json:"id"`
	Says   said.Sentence `json:"says"`
	Done   bool          `json:"done,omitempty"`
	From   string        `json:"from,omitempty"`
	To     string        `json:"to,omitempty"`
	Dry    string        `json:"dry,omitempty"` // when it is dry, or back
	Late   string        `json:"late,omitempty"`
	Share  float64       `json:"share"` // in how many draws it is one of those that decide the end
	Chain  bool          `json:"chain,omitempty"`
	Hours  float64       `json:"hours"`
	People int           `json:"people,omitempty"`
}

// Sitting is a stretch of work with the steps that come in it.
type Sitting struct {
	From  string          `json:"from"`
	To    string          `json:"to"`
	Steps []said.Sentence `json:"steps"`
	Two   bool            `json:"two,omitempty"` // it takes more than one
}

// Figures of a pace that is learned (practice, C).
const (
	paceFrom = 3   // steps with their minutes
	paceMin  = 0.5 // it is not believed beyond
	paceMax  = 3.0
	horizon  = 3 * 366 // days that are looked ahead
)

var weekdays = map[plan.Weekday]time.Weekday{
	"mon": time.Monday, "tue": time.Tuesday, "wed": time.Wednesday, "thu": time.Thursday, "fri": time.Friday, "sat": time.Saturday, "sun": time.Sunday,
}

// LayDays lays the steps that are not done into the days of the plan, from today or the day that it begins, whichever is
// later. today is a day, YYYY-MM-DD; draws are how often the hours are drawn.
func LayDays(p *plan.Plan, trailer, outing string, all records.All, today string, draws int) *WorkDays {
	review.Ready(p)
	out := &WorkDays{
		Rows:  []DayRow{},
		Sits:  []Sitting{},
		Comes: []plan.DayComing{},
		Needs: []finding.Need{},
		Wrong: []said.Sentence{},
	}
	r := rig.Resolve(p, trailer, outing)
	work := workshop.Order(r, all)
	if work == nil {
		return out
	}
	d := r.Trailer.Days
	if d == nil {
		d = &plan.Days{}
	}
	root := "/trailers/" + trailer + "/days"
	need := func(field, says, where string) {
		out.Needs = append(
			out.Needs,
			finding.Need{Path: root + field, Says: said.Say(says), Where: said.Say(where)},
		)
	}
	begin := max(d.From, today)
	from, ok := schedule.Day(begin)
	if !ok {
		need("/from", "when it begins", "The first day on which you work on it.")
	}
	var week []schedule.Weekly
	for _, s := range d.Slots {
		if day, known := weekdays[s.Day]; known && s.To > s.From {
			week = append(week, schedule.Weekly{Day: day, From: s.From, To: s.To})
		}
	}
	for _, s := range schedule.Slots(from, week, nil, 7) { // what overlaps counts once
		out.Weekly += s.To - s.From
	}
	if len(week) == 0 {
		need("/slots", "when in the week you have time", "Such as Tuesday 19 to 21, Saturday 9 to 15.")
	}
	tasks, order, pace := tasksOf(work)
	if pace != 1 {
		out.Pace = &pace
	}
	hours := 0.0
	for i := range tasks {
		hours += tasks[i].Hours[1]
	}
	out.Left = *finding.Exactly(quantity.KindTime, hours*3600)
	if len(out.Needs) > 0 || len(tasks) == 0 {
		out.Says = said.Say(
			"% of work left. Say when you have time, and it is laid into days.",
			said.Of(quantity.KindTime, hours*3600),
		)
		if len(tasks) == 0 {
			out.Says = said.Say("There are no steps yet: under Workshop, say what it is made from.")
		}
		return out
	}
	off := map[string]bool{}
	for _, o := range d.Off {
		off[o.On] = true
	}
	out.delivered(d, work, tasks, from)
	slots := schedule.Slots(from, week, off, horizon)
	likely := schedule.Likely(tasks, order, slots)
	ends, whole, share := schedule.Bands(tasks, order, slots, draws, 1)
	at := func(h float64) string { return schedule.At(from, h) }
	out.From, out.Ready, out.Early, out.Late = begin, at(likely.End), at(whole.Early), at(whole.Late)
	for i := range work.Steps {
		s := &work.Steps[i]
		row := DayRow{ID: s.ID, Says: s.Says, Done: s.Done, Hours: tasks[i].Hours[1], People: s.People}
		if !s.Done {
			sp := &likely.Spans[i]
			if sp.Done {
				row.From, row.To = at(sp.From), at(sp.To)
				if sp.Ready > sp.To {
					row.Dry = at(sp.Ready)
				}
			}
			row.Late = at(ends[i].Late)
			row.Share = share[i]
			row.Chain = slices.Contains(likely.Chain, i)
		}
		out.Rows = append(out.Rows, row)
	}
	out.sittings(work, &likely, at)
	out.meets(d.By, work.Beyond)
	return out
}

// tasksOf are the steps as tasks in their order; what is done takes nothing. The pace of those that were timed moves the
// rest: Σ taken/Σ guessed over three steps or more, from a half to three.
func tasksOf(w *workshop.Work) (tasks []schedule.Task, order []int, pace float64) {
	taken, guessed, n := 0.0, 0.0, 0
	at := map[string]int{}
	for i := range w.Steps {
		s := &w.Steps[i]
		at[s.ID] = i
		if s.Done && s.Took != nil && *s.Took > 0 {
			taken, guessed, n = taken+*s.Took, guessed+(s.Minutes[0]+s.Minutes[1])/2, n+1
		}
	}
	pace = 1
	if n >= paceFrom && guessed > 0 {
		pace = math.Min(paceMax, math.Max(paceMin, taken/guessed))
	}
	for i := range w.Steps {
		s := &w.Steps[i]
		t := schedule.Task{}
		if !s.Done {
			a, b := s.Minutes[0]/60*pace, s.Minutes[1]/60*pace
			t.Hours = [3]float64{a, a + (b-a)*0.4, b} // the likely one lies nearer to the few
			if s.Dry != nil {
				t.Dry = *s.Dry
			}
		}
		for _, id := range s.After {
			if b, ok := at[id]; ok {
				t.After = append(t.After, b)
			}
		}
		tasks, order = append(tasks, t), append(order, i)
	}
	return tasks, order, pace
}

// delivered lets steps wait for what is delivered; one that waits for a step that is not there, or comes before the work
// begins, is said.
func (o *WorkDays) delivered(d *plan.Days, w *workshop.Work, tasks []schedule.Task, from time.Time) {
	ids := make([]string, 0, len(d.Comes))
	for id := range d.Comes {
		ids = append(ids, id)
	}
	slices.SortFunc(ids, func(a, b string) int { return d.Comes[a].Order - d.Comes[b].Order })
	for _, id := range ids {
		c := d.Comes[id]
		day, ok := schedule.Day(c.On)
		if !ok {
			continue
		}
		o.Comes = append(o.Comes, c)
		i := slices.IndexFunc(w.Steps, func(s workshop.WorkStep) bool { return s.ID == c.Step })
		if c.Step == "" {
			continue
		}
		if i < 0 {
			o.Wrong = append(
				o.Wrong,
				said.Say("“%” arrives for a step that is not in the work.", said.Name(c.Name, "A delivery")),
			)
			continue
		}
		if !w.Steps[i].Done { // what is done waits for nothing
			tasks[i].From = math.Max(tasks[i].From, day.Sub(from).Hours()+8) // by the morning
		}
	}
}

// sittings are the days with what comes in them.
func (o *WorkDays) sittings(w *workshop.Work, p *schedule.Plan, at func(float64) string) {
	for _, piece := range p.Pieces {
		s := &w.Steps[piece.Task]
		if s.Done {
			continue
		}
		from, to := at(piece.From), at(piece.To)
		if n := len(o.Sits); n > 0 && strings.HasPrefix(from, o.Sits[n-1].From[:10]) && o.Sits[n-1].To == from {
			last := &o.Sits[n-1]
			last.To = to
			last.Steps = append(last.Steps, s.Says)
			last.Two = last.Two || s.People > 1
			continue
		}
		o.Sits = append(o.Sits, Sitting{from, to, []said.Sentence{s.Says}, s.People > 1})
	}
}

// meets holds the end against the day that it is wanted by.
func (o *WorkDays) meets(by string, beyond int) {
	o.Wants = by
	switch {
	case beyond > 0: // what is not laid would make it ready too soon
		o.Ready, o.Early, o.Late = "", "", ""
		o.Says = said.Say("The time is not known: % of your steps are not scheduled under Workshop. Combine the small ones.", said.Count(beyond))
	case o.Ready == "":
		o.Says = said.Say("It does not come to an end in three years: work more hours a week, or do fewer steps.")
	case by == "":
		o.Says = said.Say(
			"% of work left at % hours a week.",
			said.Of(quantity.KindTime, o.Left.Value),
			said.Of(quantity.KindCount, math.Round(o.Weekly*2)/2),
		)
	case o.Late != "" && o.Late[:10] <= by:
		o.Meets, o.Says = "yes", said.Say("It is ready in time in nine of ten runs.")
	case o.Early == "" || o.Early[:10] > by:
		o.Meets, o.Says = "no", said.Say(
			"It is not ready in time, not even in one of ten runs. Find more hours or help, or do less.",
		)
	default:
		o.Meets, o.Says = "perhaps", said.Say("It may be ready in time; only count on it with some hours more.")
	}
}
