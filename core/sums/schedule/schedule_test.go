package schedule_test

import (
	"math"
	"math/rand/v2"
	"slices"
	"testing"
	"time"

	"zygonos/core/sums/schedule"
)

func fixed(h float64) [3]float64 { return [3]float64{h, h, h} }

// simulated works minute by minute with whole minutes: another way to the same rule.
func simulated(tasks []schedule.Task, order []int, slots []schedule.Slot) []float64 {
	left, end := make([]int, len(tasks)), make([]float64, len(tasks))
	for i := range tasks {
		left[i] = int(math.Round(tasks[i].Hours[1] * 60))
		end[i] = math.Inf(1)
	}
	current := -1
	for m := 0; m < 60*24*40; m++ {
		h := float64(m) / 60
		if !slices.ContainsFunc(slots, func(s schedule.Slot) bool { return h >= s.From-1e-9 && h < s.To-1e-9 }) {
			continue
		}
		if current < 0 {
			for _, i := range order {
				free := left[i] > 0 && tasks[i].From <= h+1e-9
				for _, b := range tasks[i].After {
					free = free && end[b]+tasks[b].Dry[1] <= h+1e-9
				}
				if free {
					current = i
					break
				}
			}
		}
		if current < 0 {
			continue
		}
		if left[current]--; left[current] == 0 {
			end[current], current = float64(m+1)/60, -1
		}
	}
	return end
}

// random tasks of whole quarters of an hour, in an order that waits for what it must.
func random(r *rand.Rand) (tasks []schedule.Task, order []int, slots []schedule.Slot) {
	n := 2 + r.IntN(7)
	order = r.Perm(n)
	tasks = make([]schedule.Task, n)
	for k, i := range order {
		tasks[i] = schedule.Task{Hours: fixed(float64(1+r.IntN(16)) / 4), Dry: fixed(float64(r.IntN(3)) * float64(r.IntN(30)) / 2), From: float64(r.IntN(2) * r.IntN(60))}
		for _, b := range order[:k] {
			if r.IntN(3) == 0 {
				tasks[i].After = append(tasks[i].After, b)
			}
		}
	}
	at := 0.0
	for range 60 {
		at += float64(r.IntN(20)) / 4
		long := float64(1+r.IntN(20)) / 4
		slots = append(slots, schedule.Slot{From: at, To: at + long})
		at += long + 0.25
	}
	return tasks, order, slots
}

// Against minute by minute: every end is the same; the chain is unbroken and ends last.
func TestAgainstMinutes(t *testing.T) {
	r := rand.New(rand.NewPCG(1, 2))
	for range 500 {
		tasks, order, slots := random(r)
		p := schedule.Likely(tasks, order, slots)
		want := simulated(tasks, order, slots)
		last := 0.0
		for i := range tasks {
			if math.Abs(p.Spans[i].To-want[i]) > 1e-6 && !(math.IsInf(want[i], 1) && !p.Spans[i].Done) {
				t.Fatalf("%+v in %v: task %d ends at %v, minute by minute at %v", tasks, slots[:6], i, p.Spans[i].To, want[i])
			}
			last = math.Max(last, p.Spans[i].Ready)
		}
		if !math.IsInf(p.End, 1) && (p.End != last || len(p.Chain) == 0 || p.Spans[p.Chain[len(p.Chain)-1]].Ready != last) {
			t.Fatalf("end %v, %v of %+v", p.End, p.Chain, p.Spans)
		}
		for k := 1; k < len(p.Chain); k++ {
			a, b := p.Spans[p.Chain[k-1]], p.Spans[p.Chain[k]]
			if b.From < a.To-1e-9 {
				t.Fatalf("the chain runs backward: %+v", p)
			}
		}
	}
}

// More work, a later delivery or longer drying never ends it earlier where each waits for the one before.
func TestLater(t *testing.T) {
	r := rand.New(rand.NewPCG(3, 4))
	for range 200 {
		tasks, order, slots := random(r)
		for k, i := range order {
			tasks[i].After = order[:k]
		}
		was := schedule.Likely(tasks, order, slots).End
		i := r.IntN(len(tasks))
		tasks[i].Hours[1] += 0.5
		tasks[i].Dry[1]++
		tasks[i].From += 2
		if now := schedule.Likely(tasks, order, slots).End; now < was {
			t.Errorf("%v, then %v", was, now)
		}
	}
}

// By hand: two evenings of two hours and a Saturday of six. Welding takes three, paint one and dries a day, the floor two.
func TestByHand(t *testing.T) {
	from, _ := schedule.Day("2026-06-02") // a Tuesday
	week := []schedule.Weekly{{Day: time.Tuesday, From: 19, To: 21}, {Day: time.Thursday, From: 19, To: 21}, {Day: time.Saturday, From: 9, To: 15}}
	slots := schedule.Slots(from, week, nil, 28)
	tasks := []schedule.Task{{Hours: fixed(3)}, {After: []int{0}, Hours: fixed(1), Dry: fixed(24)}, {After: []int{1}, Hours: fixed(2)}, {Hours: fixed(4)}}
	p := schedule.Likely(tasks, []int{0, 1, 2, 3}, slots)
	for i, want := range []string{"2026-06-04T20:00", "2026-06-04T21:00", "2026-06-06T11:00", "2026-06-06T15:00"} {
		if got := schedule.At(from, p.Spans[i].To); got != want {
			t.Errorf("task %d ends %s, want %s", i, got, want)
		}
	}
	off := schedule.Slots(from, week, map[string]bool{"2026-06-04": true}, 28)
	if got := schedule.At(from, schedule.Likely(tasks[:1], []int{0}, off).End); got != "2026-06-06T10:00" {
		t.Errorf("with Thursday off %s", got)
	}
	if p := schedule.Likely(tasks, []int{0, 1, 2, 3}, slots[:2]); !math.IsInf(p.End, 1) || schedule.At(from, p.End) != "" {
		t.Errorf("%+v", p)
	}
}

// The clock on the wall goes on over the ends of weeks, months and years, leap days and the days on which it is changed.
func TestCalendar(t *testing.T) {
	for _, c := range []struct {
		from  string
		hours float64
		want  string
	}{
		{"2026-03-28", 24 + 19, "2026-03-29T19:00"}, // the clock goes forward in that night
		{"2026-10-24", 24 + 19, "2026-10-25T19:00"},
		{"2026-12-31", 25.5, "2027-01-01T01:30"},
		{"2028-02-28", 48, "2028-03-01T00:00"},
	} {
		from, ok := schedule.Day(c.from)
		if got := schedule.At(from, c.hours); !ok || got != c.want {
			t.Errorf("%s and %v h: %s, want %s", c.from, c.hours, got, c.want)
		}
	}
	if _, ok := schedule.Day("2026-02-30"); ok {
		t.Error("there is no such day")
	}
	from, _ := schedule.Day("2026-06-06")
	both := schedule.Slots(from, []schedule.Weekly{{time.Saturday, 9, 12}, {time.Saturday, 11, 15}, {time.Sunday, 30, 40}}, nil, 2)
	if !slices.Equal(both, []schedule.Slot{{9, 15}}) {
		t.Errorf("%v", both)
	}
}

// The bands hold their share of fresh draws, and are the same for the same seed; without a spread they are the plan.
func TestBands(t *testing.T) {
	from, _ := schedule.Day("2026-06-02")
	slots := schedule.Slots(from, []schedule.Weekly{{time.Tuesday, 8, 20}, {time.Wednesday, 8, 20}, {time.Thursday, 8, 20}}, nil, 200)
	tasks := []schedule.Task{{Hours: [3]float64{2, 4, 12}}, {After: []int{0}, Hours: [3]float64{1, 2, 3}, Dry: [3]float64{4, 8, 30}}, {After: []int{1}, Hours: [3]float64{3, 5, 20}}}
	order := []int{0, 1, 2}
	_, a, share := schedule.Bands(tasks, order, slots, 4000, 7)
	_, again, _ := schedule.Bands(tasks, order, slots, 4000, 7)
	_, other, _ := schedule.Bands(tasks, order, slots, 4000, 8)
	if a != again || math.Abs(a.Middle-other.Middle) > 6 || !(a.Early < a.Middle && a.Middle < a.Late) {
		t.Errorf("%+v %+v %+v", a, again, other)
	}
	for i, s := range share {
		if math.Abs(s-1) > 1e-9 { // in a row each decides
			t.Errorf("task %d in %v", i, s)
		}
	}
	for i := range tasks {
		tasks[i].Hours, tasks[i].Dry = fixed(tasks[i].Hours[1]), fixed(tasks[i].Dry[1])
	}
	if _, whole, _ := schedule.Bands(tasks, order, slots, 50, 1); whole.Early != whole.Late || whole.Late != schedule.Likely(tasks, order, slots).End {
		t.Errorf("%+v", whole)
	}
}

func BenchmarkSchedule120(b *testing.B) {
	r := rand.New(rand.NewPCG(5, 6))
	tasks, order := make([]schedule.Task, 120), make([]int, 120)
	for i := range tasks {
		order[i] = i
		tasks[i] = schedule.Task{Hours: [3]float64{0.5, 1, 2}, Dry: [3]float64{0, 0, float64(r.IntN(10))}}
		for range min(i, 2) {
			tasks[i].After = append(tasks[i].After, r.IntN(i))
		}
	}
	from, _ := schedule.Day("2026-06-02")
	slots := schedule.Slots(from, []schedule.Weekly{{time.Tuesday, 19, 21}, {time.Saturday, 9, 15}}, nil, 400)
	for b.Loop() {
		schedule.Bands(tasks, order, slots, schedule.Draws, 1)
	}
}
