package tables

import (
	"strconv"

	"zygonos/core/lang/finding"
	"zygonos/core/lang/quantity"
	"zygonos/core/plan"
	"zygonos/core/study"
)

// outcomes in the words of the screen.
var outcomes = map[finding.Outcome]string{
	finding.Fails:   "Fails",
	finding.Unknown: "Not known",
	finding.Tight:   "Tight",
	finding.Holds:   "Holds",
}

// Comparison is the comparison as a table: a row for each candidate, figures as
// plain numbers with the unit in the heading.
func Comparison(p *plan.Plan, c *study.Comparison) []byte {
	l := p.Locale()
	unit, k := "kg", 1.0
	if l.Units == quantity.Imperial {
		unit, k = "lb", 0.45359237
	}
	mass := func(m *finding.Measure) string {
		if m == nil {
			return ""
		}
		return strconv.FormatFloat(m.Value/k, 'f', 0, 64)
	}
	head := []string{
		"name",
		"comes",
		"chosen",
		"outcome",
		"why",
		"cost to the road",
		"at risk",
		"hours",
		"no price yet",
		"payload as sold " + unit,
		"payload fitted out " + unit,
		"musts held",
		"musts",
		"wishes held",
		"wishes",
		"not beaten",
		"would bring it back",
	}
	for _, o := range c.Outings {
		name := o.Name.Text(l)
		head = append(
			head,
			name+": outcome",
			name+": payload left "+unit,
			name+": ball load "+unit,
			name+": ball window",
		)
	}
	for _, w := range c.Wants {
		head = append(head, w.Name.Text(l))
	}
	rows := [][]string{head}
	for i := range c.Candidates {
		x := &c.Candidates[i]
		back := ""
		if x.Back != nil {
			back = x.Back.Name.Text(l)
		}
		row := []string{x.Name, string(x.Comes), yes(x.Chosen), outcomes[x.Outcome], x.Worst.Text(l),
			strconv.FormatFloat(
				float64(x.Bill.Money),
				'f',
				2,
				64,
			), strconv.FormatFloat(float64(x.Bill.Risk), 'f', 2, 64),
			strconv.FormatFloat(
				float64(x.Bill.Hours)/3600,
				'f',
				1,
				64,
			), strconv.Itoa(x.Bill.Open), mass(x.Bare), mass(x.FitOut),
			strconv.Itoa(
				x.Musts.Holds,
			), strconv.Itoa(x.Musts.Of), strconv.Itoa(x.Wishes.Holds), strconv.Itoa(x.Wishes.Of), yes(x.Unbeaten), back}
		for _, o := range x.Outings {
			row = append(row, outcomes[o.Outcome], mass(o.Payload), mass(o.Ball), outcomes[o.BallState])
		}
		for _, w := range x.Wants {
			row = append(row, outcomes[w.Outcome])
		}
		rows = append(rows, row)
	}
	return write(rows)
}

func yes(v bool) string {
	if v {
		return "yes"
	}
	return ""
}
