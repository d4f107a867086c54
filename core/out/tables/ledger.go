package tables

import (
	"math"
	"regexp"
	"strconv"
	"strings"
	"time"

	"zygonos/core/cost"
	"zygonos/core/lang/finding"
	"zygonos/core/lang/quantity"
	"zygonos/core/plan"
	"zygonos/core/records"
)

// Ledger is the ledger as a table, sums as plain numbers with two digits. The last column tells what follows from the
// plan and what stands in the log, so that neither is read as a spending of its own when the table comes back.
func Ledger(l *cost.Ledger, region quantity.Locale) []byte {
	rows := [][]string{{"day", "item", "kind", "planned", "spent", "worth", "from"}}
	sum := func(m *finding.Measure) string {
		if m == nil {
			return ""
		}
		return strconv.FormatFloat(m.Value, 'f', 2, 64)
	}
	for i := range l.Rows {
		r := &l.Rows[i]
		from := fromPlan
		switch {
		case r.Log:
			from = fromLog
		case r.Own:
			from = ""
		}
		rows = append(rows, []string{r.On, r.What.Text(region), r.For, sum(r.Planned), sum(r.Spent), sum(r.Worth), from})
	}
	return write(rows)
}

// Where a line of a ledger comes from, if it is not the owner's own.
const (
	fromPlan = "plan"
	fromLog  = "log"
)

// SpendRead is what a list of spendings came to.
type SpendRead struct {
	Rows  []SpendRow  `json:"rows"`
	Wrong []CellError `json:"wrong"`
}

// SpendRow is a line of it.
type SpendRow struct {
	On    string              `json:"on,omitempty"`
	Spend records.SpendRecord `json:"spend"`
}

// spendHeads are the words that a heading may begin with.
var spendHeads = []heading{
	{"on", []string{"day", "date", "when", "booked"}},
	{"spent", []string{"spent", "amount", "sum", "total", "paid", "debit", "value"}},
	{"planned", []string{"planned", "estimate", "budget"}},
	{"what", []string{"item", "what", "name", "text", "description", "payee", "details", "shop"}},
	{"for", []string{"kind", "category", "for"}},
	{"worth", []string{"worth", "market"}},
	{"from", []string{"from"}},
}

// ReadSpends reads a bank's or a shop's list with a heading: a day, an item and a sum at least. Sums are read by the plan's
// region; what is taken from an account, less than zero, is a spending all the same. A line with a cell that cannot be used
// is left out and named.
func ReadSpends(p *plan.Plan, text []byte) (*SpendRead, error) {
	out := &SpendRead{Rows: []SpendRow{}}
	l := quantity.Locale{Units: p.Units, Region: p.Region}
	wrong, err := headed(text, spendHeads, func(has func(string) bool) string {
		if !has("what") || !has("spent") && !has("planned") {
			return "The first line must name the columns: an item, and what was spent or planned."
		}
		return ""
	}, func(row []string, fields map[string]int, head []string) *CellError {
		r, wrong := spendOf(l, row, fields, head)
		if wrong == nil {
			out.Rows = append(out.Rows, *r)
		}
		return wrong
	})
	out.Wrong = wrong
	return out, err
}

var numericDay = regexp.MustCompile(`^(\d{1,2})[./-](\d{1,2})[./-](\d{4})$`)

// dayOf reads a day as lists write it; day and month stand by the region.
func dayOf(l quantity.Locale, s string) (string, bool) {
	if t, err := time.Parse(time.DateOnly, s); err == nil {
		return t.Format(time.DateOnly), true
	}
	m := numericDay.FindStringSubmatch(s)
	if m == nil {
		return "", false
	}
	d, mo := m[1], m[2]
	if l.Region == quantity.NorthAmerica {
		d, mo = mo, d
	}
	t, err := time.Parse("2006-1-2", m[3]+"-"+strings.TrimLeft(mo, "0")+"-"+strings.TrimLeft(d, "0"))
	return t.Format(time.DateOnly), err == nil
}

// spendOf reads a line.
func spendOf(l quantity.Locale, row []string, fields map[string]int, head []string) (*SpendRow, *CellError) {
	cell := func(field string) (string, int) {
		i, ok := fields[field]
		if !ok || i >= len(row) {
			return "", 0
		}
		return strings.TrimPrefix(strings.TrimSpace(row[i]), "'"), i
	}
	wrong := func(i int, says string) *CellError {
		return &CellError{Column: i + 1, Head: strings.TrimSpace(head[i]), Says: says}
	}
	out := &SpendRow{}
	switch s, i := cell("from"); s {
	case fromPlan:
		return nil, wrong(i, "It follows from the plan this list belongs to, and is not a purchase of your own.")
	case fromLog:
		return nil, wrong(i, "It comes from the log: change it there.")
	}
	what, at := cell("what")
	if out.Spend.What = cut(what, 200); what == "" {
		return nil, wrong(at, "This line names no item.")
	}
	if s, i := cell("on"); s != "" {
		day, ok := dayOf(l, s)
		if !ok {
			return nil, wrong(i, "“"+cut(s, 40)+"” is not a date. Write it as 2026-05-31.")
		}
		out.On = day
	}
	for _, f := range []struct {
		field string
		into  **quantity.Money
	}{{"spent", &out.Spend.Spent}, {"planned", &out.Spend.Planned}, {"worth", &out.Spend.Worth}} {
		s, i := cell(f.field)
		if s == "" {
			continue
		}
		v, err := l.Parse(quantity.KindMoney, s)
		if err != nil {
			return nil, wrong(i, err.Error())
		}
		m := quantity.Money(math.Abs(v.Value))
		*f.into = &m
	}
	if out.Spend.Spent == nil && out.Spend.Planned == nil && out.Spend.Worth == nil {
		return nil, wrong(at, "This line has no amount.")
	}
	if s, _ := cell("for"); s != "" {
		for _, k := range records.SpendFors {
			if strings.EqualFold(string(k), s) {
				out.Spend.For = k
			}
		}
	}
	return out, nil
}
