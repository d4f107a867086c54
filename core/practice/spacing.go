package practice

import (
	"cmp"
	"math"
	"slices"
	"time"

	"zygonos/core/lang/said"
)

// Progress is how far somebody is; it stays on the device.
type Progress struct {
	Topics map[string]Known `json:"topics"`
	Days   []Day            `json:"days"`  // what was answered, day by day, the oldest first
	Seeds  uint64           `json:"seeds"` // cases dealt so far
}

// Known is a topic's box: the higher, the longer until it comes again, and the harder.
type Known struct {
	Box   int    `json:"box"` // 0 to 5
	Due   string `json:"due,omitempty"`
	Right int    `json:"right"`
	Wrong int    `json:"wrong"`
}

// Day is what was answered on a day.
type Day struct {
	On    string `json:"on"`
	Right int    `json:"right"`
	Wrong int    `json:"wrong"`
}

// intervals are the days until a topic comes again, by its box: of a card that is right it goes up by one, of a wrong one back to
// the first.
var intervals = [...]int{0, 1, 2, 4, 9, 21}

// Session is what comes next, with all topics.
type Session struct {
	Topic string        `json:"topic"`
	Seed  uint64        `json:"seed"`
	Level int           `json:"level"`
	Says  said.Sentence `json:"says"`
	Rows  []TopicRow    `json:"rows"`
}

// TopicRow is a topic with its box.
type TopicRow struct {
	ID    string   `json:"id"`
	Name  string   `json:"name"`
	Box   int      `json:"box"`
	Due   string   `json:"due,omitempty"`
	Right int      `json:"right"`
	Wrong int      `json:"wrong"`
	Share *float64 `json:"share,omitempty"` // of right answers
}

// mostDays is how many days are kept.
const mostDays = 400

// LevelOf is how hard a topic's cases are, by its box.
func LevelOf(box int) int { return min(Levels, 1+max(0, box)/2) }

// Next is what comes next: the topic that is longest due, of these the one in the lowest box; where none is due, the one that will be
// next. only asks for one topic, whenever it is due.
func Next(p *Progress, today, only string) *Session {
	out := &Session{Rows: []TopicRow{}}
	due := 0
	for _, t := range Topics() {
		k := p.Topics[t.ID]
		row := TopicRow{ID: t.ID, Name: t.Name, Box: k.Box, Due: k.Due, Right: k.Right, Wrong: k.Wrong}
		if n := k.Right + k.Wrong; n > 0 {
			s := float64(k.Right) / float64(n)
			row.Share = &s
		}
		if k.Due <= today {
			due++
		}
		out.Rows = append(out.Rows, row)
	}
	order := slices.Clone(out.Rows)
	slices.SortStableFunc(order, func(a, b TopicRow) int {
		late := func(r TopicRow) int { return map[bool]int{true: 0, false: 1}[r.Due <= today] }
		if late(a) == 0 && late(b) == 0 {
			return cmp.Or(
				cmp.Compare(a.Box, b.Box),
				cmp.Compare(a.Due, b.Due),
				cmp.Compare(a.Right+a.Wrong, b.Right+b.Wrong),
			)
		}
		return cmp.Or(cmp.Compare(late(a), late(b)), cmp.Compare(a.Due, b.Due))
	})
	pick := order[0]
	for _, r := range out.Rows {
		if r.ID == only {
			pick = r
		}
	}
	out.Topic, out.Level, out.Seed = pick.ID, LevelOf(pick.Box), p.Seeds
	switch {
	case due > 0:
		out.Says = said.Say("% due today.", said.Counted(due, "topic is", "topics are"))
	default:
		out.Says = said.Say("Nothing is due today. More practice does no harm.")
	}
	return out
}

// Answered is the progress after an answer: right, its box goes up and it is due after that box's days; wrong, it begins again.
// A second right answer on one day does not go up again.
func Answered(p *Progress, topic, today string, right bool) *Progress {
	out := &Progress{Topics: map[string]Known{}, Days: slices.Clone(p.Days), Seeds: p.Seeds + 1}
	for id, k := range p.Topics {
		out.Topics[id] = k
	}
	k := out.Topics[topic]
	switch {
	case !right:
		k.Wrong++
		k.Box, k.Due = 0, today
	default:
		k.Right++
		if k.Due <= today {
			k.Box = min(len(intervals)-1, max(0, k.Box)+1)
			k.Due = after(today, intervals[k.Box])
		}
	}
	out.Topics[topic] = k
	if n := len(out.Days); n == 0 || out.Days[n-1].On != today {
		out.Days = append(out.Days, Day{On: today})
	}
	d := &out.Days[len(out.Days)-1]
	if right {
		d.Right++
	} else {
		d.Wrong++
	}
	out.Days = out.Days[max(0, len(out.Days)-mostDays):]
	return out
}

func after(day string, days int) string {
	t, err := time.Parse(time.DateOnly, day)
	if err != nil {
		return day
	}
	return t.AddDate(0, 0, days).Format(time.DateOnly)
}

// Tidy takes out of a progress what makes no sense: it comes from a device.
func Tidy(p *Progress) *Progress {
	out := &Progress{Topics: map[string]Known{}, Days: []Day{}}
	if p == nil {
		return out
	}
	out.Seeds = min(p.Seeds, math.MaxUint32)
	for _, t := range Topics() {
		if k, ok := p.Topics[t.ID]; ok {
			k.Box = min(len(intervals)-1, max(0, k.Box))
			k.Right, k.Wrong = max(0, k.Right), max(0, k.Wrong)
			if _, err := time.Parse(time.DateOnly, k.Due); err != nil {
				k.Due = ""
			}
			out.Topics[t.ID] = k
		}
	}
	for _, d := range p.Days {
		if _, err := time.Parse(time.DateOnly, d.On); err == nil && d.Right >= 0 && d.Wrong >= 0 &&
			len(out.Days) < mostDays {
			out.Days = append(out.Days, d)
		}
	}
	return out
}
