package tables

import (
	"bytes"
	"encoding/csv"
	"fmt"
	"io"
	"math"
	"regexp"
	"strconv"
	"strings"
	"time"
	"unicode/utf8"

	"zygonos/core/cost"
	"zygonos/core/lang/finding"
	"zygonos/core/lang/quantity"
	"zygonos/core/plan"
	"zygonos/core/records"
)

// Ledger is the ledger as a table, sums as plain numbers with two digits.
func Ledger(l *cost.Ledger, region quantity.Locale) []byte {
	rows := [][]string{{"day", "item", "kind", "planned", "spent", "worth"}}
	sum := func(m *finding.Measure) string {
		if m == nil {
			return ""
		}
		return strconv.FormatFloat(m.Value, 'f', 2, 64)
	}
	for i := range l.Rows {
		r := &l.Rows[i]
		rows = append(rows, []string{r.On, r.What.Text(region), r.For, sum(r.Planned), sum(r.Spent), sum(r.Worth)})
	}
	return write(rows)
}

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

// mostSpends is how many lines a list may have.
const mostSpends = 2000

// spendHeads are the words that a heading may begin with.
var spendHeads = []struct {
	field string
	words []string
}{
	{"on", []string{"day", "date", "when", "booked"}},
	{"spent", []string{"spent", "amount", "sum", "total", "paid", "debit", "value"}},
	{"planned", []string{"planned", "estimate", "budget"}},
	{"what", []string{"item", "what", "name", "text", "description", "payee", "details", "shop"}},
	{"for", []string{"kind", "category", "for"}},
	{"worth", []string{"worth", "market"}},
}

// ReadSpends reads a bank's or a shop's list with a heading: a day, an item and a sum at least. Sums are read by the plan's
// region; what is taken from an account, less than nought, is a spending all the same. A line with a cell that cannot be used
// is left out and named.
func ReadSpends(p *plan.Plan, text []byte) (*SpendRead, error) {
	if len(text) > MaxBytes {
		return nil, Refusal("The list is larger than 1 MB.")
	}
	text = bytes.TrimPrefix(text, []byte("\xef\xbb\xbf"))
	if !utf8.Valid(text) {
		return nil, Refusal("The list is not written in UTF-8. Save it as UTF-8.")
	}
	in := csv.NewReader(bytes.NewReader(text))
	in.Comma, in.FieldsPerRecord, in.LazyQuotes = separator(text), -1, true
	head, err := in.Read()
	if err != nil {
		return nil, Refusal("The list is empty.")
	}
	fields := map[string]int{}
	for i, c := range head {
		low := strings.ToLower(strings.TrimSpace(c))
		for _, h := range spendHeads {
			if _, taken := fields[h.field]; taken {
				continue
			}
			for _, w := range h.words {
				if strings.HasPrefix(low, w) {
					fields[h.field] = i
				}
			}
		}
	}
	_, spent := fields["spent"]
	_, planned := fields["planned"]
	if _, what := fields["what"]; !what || !spent && !planned {
		return nil, Refusal("The first line must name the columns: an item, and what was spent or planned.")
	}
	out := &SpendRead{Rows: []SpendRow{}, Wrong: []CellError{}}
	l := quantity.Locale{Units: p.Units, Region: p.Region}
	for {
		row, err := in.Read()
		if err == io.EOF {
			return out, nil
		}
		line, _ := in.FieldPos(0)
		if err != nil {
			out.Wrong = append(
				out.Wrong,
				CellError{Line: line, Column: 1, Says: "This line cannot be read: " + err.Error() + "."},
			)
			continue
		}
		if len(strings.TrimSpace(strings.Join(row, ""))) == 0 {
			continue
		}
		if len(out.Rows) == mostSpends {
			return nil, Refusal(fmt.Sprintf("The list has more than %d lines.", mostSpends))
		}
		r, wrong := spendOf(l, row, fields, head)
		if wrong != nil {
			wrong.Line = line
			out.Wrong = append(out.Wrong, *wrong)
			continue
		}
		out.Rows = append(out.Rows, *r)
	}
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
	what, at := cell("what")
	if out.Spend.What = cut(what, 200); what == "" {
		return nil, wrong(at, "This line names no item.")
	}
	if s, i := cell("on"); s != "" {
		day, ok := dayOf(l, s)
		if !ok {
			return nil, wrong(i, "“"+cut(s, 40)+"” is no day. Write it as 2026-05-31.")
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
		return nil, wrong(at, "This line has no sum.")
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
