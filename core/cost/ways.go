package cost

import (
	"cmp"
	"math"
	"slices"

	"zygonos/core/lang/finding"
	"zygonos/core/lang/quantity"
	"zygonos/core/lang/said"
	"zygonos/core/plan"
)

type span = quantity.Range[float64]

// WayRow is a way over the years.
type WayRow struct {
	ID    string           `json:"id"`
	Name  said.Piece       `json:"name"`
	Kind  string           `json:"kind,omitempty"`
	Money *finding.Measure `json:"money,omitempty"` // over the years, resale taken off
	Hours finding.Measure  `json:"hours"`           // of one's own
	Whole *finding.Measure `json:"whole,omitempty"` // with the hours at their worth
	Use   *finding.Measure `json:"use,omitempty"`   // of one use, all counted
	Even  *finding.Measure `json:"even,omitempty"`  // uses from which it beats the cheapest without a trailer of one's own
	Never bool             `json:"never,omitempty"` // it never does
	First *finding.Measure `json:"first,omitempty"` // taken from ledger or bill where none is entered
	Needs []finding.Need   `json:"needs"`
	Best  bool             `json:"best,omitempty"`
}

// Ways are the ways side by side.
type Ways struct {
	Rows  []WayRow       `json:"rows"`
	Years float64        `json:"years"`
	Uses  float64        `json:"uses"` // a year
	Says  said.Sentence  `json:"says"`
	Jobs  []JobRow       `json:"jobs"`
	Needs []finding.Need `json:"needs"`
}

// JobRow is what is left of a job.
type JobRow struct {
	ID    string           `json:"id"`
	Name  said.Piece       `json:"name"`
	Left  *finding.Measure `json:"left,omitempty"`
	Year  *finding.Measure `json:"year,omitempty"`
	Pays  *finding.Measure `json:"pays,omitempty"` // jobs until the trailer is paid
	Says  said.Sentence    `json:"says"`
	Needs []finding.Need   `json:"needs"`
}

// Known is what other stages know of a way that is not entered.
type Known struct {
	Build, Buy           *float64 // money
	BuildHours, BuyHours float64  // h
}

// doubtful is how far a sum that is not spent yet may be off (practice, C).
const doubtful = 0.15

// WaysOf compares the ways over the years:
//
//	money = first − resale + years·(a year + uses·a use),  whole = money + rate·(hours + years·uses·hours of a use)
//	even: uses from which first − resale + years·a year (+ hours) is less than what hire, delivery … take more for each use
func WaysOf(m *plan.MoneyPlan, trailer string, known Known) *Ways {
	out := &Ways{Rows: []WayRow{}, Jobs: []JobRow{}, Needs: []finding.Need{}}
	root := "/trailers/" + trailer + "/money"
	if m == nil {
		m = &plan.MoneyPlan{}
	}
	need := func(list *[]finding.Need, path, says, where string) {
		*list = append(*list, finding.Need{Path: root + path, Says: said.Say(says), Where: said.Say(where)})
	}
	if m.Years == nil {
		need(&out.Needs, "/years", "how long it is kept", "In years.")
	} else {
		out.Years = *m.Years
	}
	if m.Uses == nil {
		need(&out.Needs, "/uses", "how often it is used", "Times a year; count last year’s.")
	} else {
		out.Uses = *m.Uses
	}
	n := out.Years * out.Uses
	rate := 0.0
	if m.HourRate != nil {
		rate = float64(*m.HourRate)
	}
	sums := map[string]waySum{}
	for _, id := range plan.Ordered(m.Ways, func(w plan.WayCost) int { return w.Order }) {
		w := m.Ways[id]
		row := WayRow{ID: id, Name: said.Name(w.Name, "A way"), Kind: string(w.Kind), Needs: []finding.Need{}}
		s := waySum{own: w.Kind == plan.WayBuild || w.Kind == plan.WayBuy || w.Kind == plan.WayConvert, rate: rate}
		first, hours := known.of(&w)
		switch {
		case first != nil:
			s.first = *first
			if w.First == nil {
				row.First = finding.Exactly(quantity.KindMoney, s.first)
			}
		case s.own || w.Kind == plan.WayBigger:
			need(&row.Needs, "/ways/"+id+"/first", "what it costs at the beginning", "A price, or the ledger’s.")
		}
		if w.PerUse == nil && !s.own {
			need(&row.Needs, "/ways/"+id+"/perUse", "what a use costs", "A day’s hire, a delivery, the fuel.")
		}
		s.hours, s.useHours = hours, hoursOf(w.UseHours)
		s.use, s.year, s.back = sumOf(w.PerUse), sumOf(w.PerYear), sumOf(w.Resale)
		if len(row.Needs) == 0 && n > 0 {
			money := s.fixed(out.Years) + n*s.use
			h := s.hours + n*s.useHours
			row.Money = around(money, s.first+n*s.use)
			row.Hours = *finding.Exactly(quantity.KindTime, h*3600)
			row.Whole = around(money+rate*h, s.first+n*s.use)
			row.Use = around((money+rate*h)/n, (s.first+n*s.use)/n)
			sums[id] = s
		}
		out.Rows = append(out.Rows, row)
	}
	out.even(sums)
	out.jobs(m, known, root)
	return out
}

// waySum is a way in figures.
type waySum struct {
	first, use, year, back, hours, useHours, rate float64
	own                                           bool
}

// fixed is what does not hang on how often it is used.
func (s *waySum) fixed(years float64) float64 { return s.first - s.back + years*s.year }

// each is what a use takes, one's own time counted.
func (s *waySum) each() float64 { return s.use + s.rate*s.useHours }

func sumOf(m *quantity.Money) float64 {
	if m == nil {
		return 0
	}
	return float64(*m)
}

func hoursOf(t *quantity.Time) float64 {
	if t == nil {
		return 0
	}
	return float64(*t) / 3600
}

// of is what a way costs at the beginning, and its hours: as entered, else as ledger, bill and steps know.
func (k *Known) of(w *plan.WayCost) (first *float64, hours float64) {
	hours = hoursOf(w.Hours)
	if w.First != nil {
		v := float64(*w.First)
		first = &v
	}
	switch w.Kind {
	case plan.WayBuild, plan.WayConvert:
		if first == nil {
			first = k.Build
		}
		if w.Hours == nil {
			hours = k.BuildHours
		}
	case plan.WayBuy:
		if first == nil {
			first = k.Buy
		}
		if w.Hours == nil {
			hours = k.BuyHours
		}
	}
	return first, hours
}

// around is a sum with the doubt of what is in it.
func around(v, in float64) *finding.Measure {
	d := doubtful * math.Abs(in)
	return finding.Of(quantity.KindMoney, span{Low: v - d, Nominal: v, High: v + d})
}

// even finds from how many uses a way of one's own beats the cheapest of the others, with its range, and the cheapest of all.
func (o *Ways) even(sums map[string]waySum) {
	best, other := -1, math.Inf(1)
	for i := range o.Rows {
		r := &o.Rows[i]
		s, ok := sums[r.ID]
		if !ok {
			continue
		}
		if best < 0 || r.Whole.Value < o.Rows[best].Whole.Value-1e-9 {
			best = i
		}
		if !s.own && s.first == 0 && s.each() > 0 {
			other = math.Min(other, s.each()+s.year/math.Max(1, o.Uses))
		}
	}
	for i := range o.Rows {
		r := &o.Rows[i]
		s, ok := sums[r.ID]
		if !ok || !s.own || math.IsInf(other, 1) {
			continue
		}
		fixed := s.fixed(o.Years) + s.rate*s.hours
		at := func(f, gain float64) float64 { return math.Max(0, f) / gain }
		gain := other - s.each()
		least, most := other*(1+doubtful)-s.each()*(1-doubtful), other*(1-doubtful)-s.each()*(1+doubtful)
		switch {
		case gain <= 0:
			r.Never = true
		case most <= 0: // it may never
			r.Even = finding.Exactly(quantity.KindCount, math.Ceil(at(fixed, gain)-1e-9))
			r.Even.Low = ptr(math.Ceil(at(fixed-doubtful*s.first, least) - 1e-9))
		default:
			r.Even = finding.Of(quantity.KindCount, span{
				Low: math.Ceil(
					at(fixed-doubtful*s.first, least) - 1e-9,
				), Nominal: math.Ceil(at(fixed, gain) - 1e-9),
				High: math.Ceil(at(fixed+doubtful*s.first, most) - 1e-9),
			})
		}
	}
	if best < 0 {
		o.Says = said.Say("Enter what each way costs: then you see them side by side over the years.")
		return
	}
	o.Rows[best].Best = true
	b := &o.Rows[best]
	o.Says = said.Say("Over % years and % uses the cheapest is “%”: %.", said.Of(quantity.KindCount, o.Years),
		said.Of(quantity.KindCount, math.Round(o.Years*o.Uses)), b.Name, said.Of(quantity.KindMoney, b.Whole.Value))
	var open []said.Sentence
	for i := range o.Rows {
		if _, ok := sums[o.Rows[i].ID]; !ok {
			open = append(open, said.Say("“%”", o.Rows[i].Name))
		}
	}
	if len(open) > 0 {
		o.Says = slices.Concat(o.Says, said.Say(" Left out because a price is missing: "), said.List(open...), said.Say("."))
	}
	near := slices.ContainsFunc(o.Rows, func(r WayRow) bool {
		return r.ID != b.ID && r.Whole != nil && lowOf(r.Whole) < highOf(b.Whole)
	})
	if near {
		o.Says = append(o.Says, said.Say(" Another may be as cheap within the doubt.")...)
	}
}

func ptr(v float64) *float64 { return &v }

func lowOf(m *finding.Measure) float64 {
	if m.Low != nil {
		return *m.Low
	}
	return m.Value
}

func highOf(m *finding.Measure) float64 {
	if m.High != nil {
		return *m.High
	}
	return m.Value
}

// jobs are what is left of each: pay less the way, the fee and one's own hours; and how many pay the trailer.
func (o *Ways) jobs(m *plan.MoneyPlan, known Known, root string) {
	for _, id := range plan.Ordered(m.Jobs, func(j plan.EarnJob) int { return j.Order }) {
		j := m.Jobs[id]
		row := JobRow{ID: id, Name: said.Name(j.Name, "A job"), Needs: []finding.Need{}}
		need := func(path, says, where string) {
			row.Needs = append(row.Needs, finding.Need{Path: path, Says: said.Say(says), Where: said.Say(where)})
		}
		if j.Rate == nil {
			need(root+"/jobs/"+id+"/rate", "what it pays", "As agreed.")
		}
		if j.Far != nil && m.PerDistance == nil {
			need(
				root+"/perDistance",
				"what driving costs by distance",
				"Fuel, {tyre}s, wear: a third more than the fuel alone.",
			)
		}
		if len(row.Needs) > 0 {
			row.Says = said.Say("Not known yet.")
			o.Jobs = append(o.Jobs, row)
			continue
		}
		left := CentsOf(*j.Rate) - CentsOf(quantity.Money(sumOf(j.Fee)))
		if j.Far != nil {
			left -= CentsOf(quantity.Money(float64(*j.Far) / 1000 * float64(*m.PerDistance)))
		}
		left -= CentsOf(quantity.Money(sumOf(m.HourRate) * hoursOf(j.Takes)))
		row.Left = left.measure()
		if j.Often != nil {
			row.Year = finding.Exactly(quantity.KindMoney, left.Money()*quantity.Money(*j.Often))
		}
		cost := known.Build
		if cost == nil {
			cost = known.Buy
		}
		switch {
		case left <= 0:
			row.Says = said.Say(
				"Nothing is left: each one costs % more than it pays.",
				said.Of(quantity.KindMoney, (-left).Money()),
			)
		case cost != nil && *cost > 0:
			jobs := math.Ceil(*cost/float64(left.Money()) - 1e-9)
			row.Pays = finding.Exactly(quantity.KindCount, jobs)
			row.Says = said.Say(
				"% is left; % pay for the trailer.",
				said.Of(quantity.KindMoney, left.Money()),
				said.Counted(int(jobs), "job", "jobs"),
			)
		default:
			row.Says = said.Say("% is left of each.", said.Of(quantity.KindMoney, left.Money()))
		}
		o.Jobs = append(o.Jobs, row)
	}
	slices.SortStableFunc(o.Jobs, func(a, b JobRow) int {
		value := func(r *JobRow) float64 {
			if r.Left == nil {
				return math.Inf(-1)
			}
			return r.Left.Value
		}
		return cmp.Compare(value(&b), value(&a))
	})
}
