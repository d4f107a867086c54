// Package tables reads and writes the CSV tables (RFC 4180) of the trailers: a
// list of candidates in, the comparison out. docs/formats.md describes both.
package tables

import (
	"bytes"
	"encoding/csv"
	"errors"
	"fmt"
	"hash/fnv"
	"io"
	"regexp"
	"strconv"
	"strings"
	"unicode"
	"unicode/utf8"

	"zygonos/core/facts/norms"
	"zygonos/core/lang/finding"
	"zygonos/core/lang/quantity"
	"zygonos/core/plan"
)

// Limits of a table that is read.
const (
	MaxBytes = 1 << 20
	MaxRows  = 200
)

// CellError says which cell of a table cannot be used, and why.
type CellError struct {
	Line   int    `json:"line"`
	Column int    `json:"column"` // of the table, from 1
	Head   string `json:"head"`
	Says   string `json:"says"`
}

// Import is what a table of candidates came to.
type Import struct {
	Patch  []finding.Op `json:"patch"` // adds the good rows to the plan
	Good   int          `json:"good"`
	Wrong  []CellError  `json:"wrong"`
	Unread []string     `json:"unread"` // headings that are not known here
}

// Refusal says in a sentence why a table or a cell cannot be used.
type Refusal string

func (r Refusal) Error() string { return string(r) }

// column is one heading with what it fills.
type column struct {
	head    string
	example string
	put     func(l quantity.Locale, t *plan.Trailer, cell string) error
}

func deal(t *plan.Trailer) *plan.Deal {
	if t.Deal == nil {
		t.Deal = &plan.Deal{}
	}
	return t.Deal
}

func read[Q ~float64](
	k quantity.Kind,
	into func(*plan.Trailer, Q),
) func(quantity.Locale, *plan.Trailer, string) error {
	return func(l quantity.Locale, t *plan.Trailer, cell string) error {
		v, err := l.Parse(k, cell)
		if err != nil {
			return err
		}
		if v.Value < 0 {
			return Refusal("This cannot be less than zero.")
		}
		into(t, Q(v.Value))
		return nil
	}
}

func word[T ~string](list []T, into func(*plan.Trailer, T)) func(quantity.Locale, *plan.Trailer, string) error {
	return func(_ quantity.Locale, t *plan.Trailer, cell string) error {
		var names []string
		for _, v := range list {
			if strings.EqualFold(string(v), cell) {
				into(t, v)
				return nil
			}
			names = append(names, string(v))
		}
		return Refusal(fmt.Sprintf("“%s” is none of: %s.", cell, strings.Join(names, ", ")))
	}
}

func length(into func(*plan.Trailer) **plan.LengthEstimate) func(quantity.Locale, *plan.Trailer, string) error {
	return read(quantity.KindLength, func(t *plan.Trailer, v quantity.Length) {
		*into(t) = &plan.LengthEstimate{Value: v, How: plan.Maker}
	})
}

// columns are the headings of a table of candidates, in the template's order.
var columns = []column{
	{"name", "Green tipper", func(_ quantity.Locale, t *plan.Trailer, c string) error { t.Name = c; return nil }},
	{"comes", "used", word(plan.AllComes, func(t *plan.Trailer, v plan.Comes) { t.Comes = v })},
	{"price", "950", read(quantity.KindMoney, func(t *plan.Trailer, v quantity.Money) { deal(t).Price = &v })},
	{"label", "750 kg", read(quantity.KindMass, func(t *plan.Trailer, v quantity.Mass) {
		if t.Label == nil {
			t.Label = &plan.Rating{Counts: plan.CountsUnsure}
		}
		t.Label.Value = v
	})},
	{
		"label counts",
		"gross",
		word(
			[]plan.Counts{plan.CountsGross, plan.CountsPayload, plan.CountsUnsure},
			func(t *plan.Trailer, v plan.Counts) {
				if t.Label == nil {
					t.Label = &plan.Rating{}
				}
				t.Label.Counts = v
			},
		),
	},
	{"empty", "180 kg", read(quantity.KindMass, func(t *plan.Trailer, v quantity.Mass) {
		t.Empty.Mass = &plan.MassEstimate{Value: v, How: plan.Maker}
	})},
	{"deck length", "2400 mm", length(func(t *plan.Trailer) **plan.LengthEstimate { return &t.DeckLength })},
	{"deck width", "1300 mm", length(func(t *plan.Trailer) **plan.LengthEstimate { return &t.DeckWidth })},
	{"deck height", "560 mm", length(func(t *plan.Trailer) **plan.LengthEstimate { return &t.DeckHeight })},
	{"sides", "350 mm", read(quantity.KindLength, func(t *plan.Trailer, v quantity.Length) { t.SideHeight = &v })},
	{
		"coupling to axle",
		"2350 mm",
		length(func(t *plan.Trailer) **plan.LengthEstimate { return &t.CouplingToAxle }),
	},
	{
		"coupling to deck",
		"1050 mm",
		length(func(t *plan.Trailer) **plan.LengthEstimate { return &t.CouplingToDeck }),
	},
	{"track", "1500 mm", length(func(t *plan.Trailer) **plan.LengthEstimate { return &t.Track })},
	{
		"tyre",
		"145/80 R13 79N",
		func(_ quantity.Locale, t *plan.Trailer, c string) error { t.TyreText = c; return nil },
	},
	{
		"axle rating",
		"750 kg",
		read(quantity.KindMass, func(t *plan.Trailer, v quantity.Mass) { t.AxleRating = &v }),
	},
	{"coupling size", "50 mm", ball},
	{
		"coupling rating",
		"750 kg",
		read(quantity.KindMass, func(t *plan.Trailer, v quantity.Mass) { t.CouplingRating = &v }),
	},
	{
		"brakes",
		"none",
		word(
			[]plan.Brakes{plan.BrakesNone, plan.BrakesOverrun, plan.BrakesElectric, plan.BrakesFitted},
			func(t *plan.Trailer, v plan.Brakes) { t.Brakes = v },
		),
	},
	{"floor", "ply", word(plan.Floors, func(t *plan.Trailer, v plan.Floor) { t.Floor = v })},
	{"tail", "gate", word(plan.Tails, func(t *plan.Trailer, v plan.Tail) { t.Tail = v })},
	{"papers", "complete", word(plan.PapersStates, func(t *plan.Trailer, v plan.Papers) { t.Papers = v })},
	{"hours", "6 h", read(quantity.KindTime, func(t *plan.Trailer, v quantity.Time) { deal(t).Hours = &v })},
}

// ball reads a coupling's size by its name or as a length near one of them.
func ball(l quantity.Locale, t *plan.Trailer, cell string) error {
	for _, b := range norms.BallSizes {
		if strings.EqualFold(b.Name, cell) {
			d := b.Diameter
			t.CouplingSize = &d
			return nil
		}
	}
	v, err := l.Parse(quantity.KindLength, cell)
	if err != nil {
		return err
	}
	for _, b := range norms.BallSizes {
		if d := float64(b.Diameter) - v.Value; d < 0.0003 && d > -0.0003 {
			size := b.Diameter
			t.CouplingSize = &size
			return nil
		}
	}
	return Refusal("Couplings are made for balls of 1 7/8 in, 50 mm, 2 in or 2 5/16 in.")
}

// Template is an empty table of candidates with one row to show how.
func Template() []byte {
	var head, example []string
	for _, c := range columns {
		head, example = append(head, c.head), append(example, c.example)
	}
	return write([][]string{head, example})
}

// ReadTrailers reads a table of candidates in the plan's locale: with or
// without a byte order mark, with commas, semicolons or tabs between the cells.
// Rows with a cell that cannot be used are left out and named; good rows are
// kept. The error is a table that cannot be read at all.
func ReadTrailers(p *plan.Plan, data []byte) (*Import, error) {
	if len(data) > MaxBytes {
		return nil, Refusal("The table is larger than 1 MB.")
	}
	data = bytes.TrimPrefix(data, []byte("\xef\xbb\xbf"))
	if !utf8.Valid(data) {
		return nil, Refusal("The table is not in UTF-8. Save it as CSV UTF-8.")
	}
	in := csv.NewReader(bytes.NewReader(data))
	in.Comma = separator(data)
	in.FieldsPerRecord = -1
	in.TrimLeadingSpace = true
	head, err := in.Read()
	if err != nil {
		return nil, Refusal("The table has no heading row. Use the template.")
	}
	out := &Import{Patch: []finding.Op{}, Wrong: []CellError{}, Unread: []string{}}
	fills := make([]*column, len(head))
	known := 0
	for i, h := range head {
		name := strings.ToLower(strings.Join(strings.Fields(h), " "))
		for k := range columns {
			if columns[k].head == name {
				fills[i] = &columns[k]
				known++
			}
		}
		if fills[i] == nil && name != "" {
			out.Unread = append(out.Unread, h)
		}
	}
	if known == 0 {
		return nil, Refusal("No heading is known here. Use the template.")
	}
	order := 0
	for _, t := range p.Trailers {
		order = max(order, t.Order)
	}
	taken := map[string]bool{}
	for rows := 0; ; rows++ {
		row, err := in.Read()
		if err == io.EOF {
			return out, nil
		}
		if err != nil {
			line := 0
			var pe *csv.ParseError
			if errors.As(err, &pe) {
				line = pe.Line
			}
			out.Wrong = append(
				out.Wrong,
				CellError{
					Line:   line,
					Column: 1,
					Says:   "A quote is not closed or stands in the middle of a cell; the rest is not read.",
				},
			)
			return out, nil
		}
		if rows >= MaxRows {
			line, _ := in.FieldPos(0)
			out.Wrong = append(
				out.Wrong,
				CellError{
					Line:   line,
					Column: 1,
					Says:   fmt.Sprintf("More than %d rows: the rest is not read.", MaxRows),
				},
			)
			return out, nil
		}
		t, wrong := readRow(p.Locale(), in, fills, row)
		if wrong != nil {
			out.Wrong = append(out.Wrong, wrong...)
			continue
		}
		if t == nil { // an empty row
			continue
		}
		order++
		t.Order = order
		id := newID(p, taken, t.Name, strings.Join(row, "\x00"))
		out.Patch = append(out.Patch, finding.Op{Op: "add", Path: "/trailers/" + id, Value: t})
		out.Good++
	}
}

func readRow(l quantity.Locale, in *csv.Reader, fills []*column, row []string) (*plan.Trailer, []CellError) {
	t := &plan.Trailer{}
	var wrong []CellError
	filled := false
	for i, cell := range row {
		cell = strings.TrimSpace(cell)
		if cell == "" {
			continue
		}
		filled = true
		line, _ := in.FieldPos(i)
		fail := func(head, says string) {
			wrong = append(wrong, CellError{Line: line, Column: i + 1, Head: head, Says: says})
		}
		if i >= len(fills) {
			fail("", "There is no heading over this cell.")
			continue
		}
		if fills[i] == nil {
			continue
		}
		if len(cell) > 1 && cell[0] == '\'' && formula(cell[1:]) {
			cell = cell[1:] // as it was made safe when written
		} else if cell[0] == '=' && fills[i].head != "name" {
			fail(fills[i].head, "Formulas are not read; save the table with values.")
			continue
		}
		if err := fills[i].put(l, t, cell); err != nil {
			fail(fills[i].head, err.Error())
		}
	}
	if !filled {
		return nil, nil
	}
	if t.Name == "" && wrong == nil {
		line, _ := in.FieldPos(0)
		wrong = append(wrong, CellError{Line: line, Column: 1, Head: "name", Says: "The row has no name."})
	}
	if t.Label != nil && t.Label.Value == 0 {
		t.Label = nil
	}
	return t, wrong
}

// separator is the sign between the cells: the most frequent of the heading
// row's candidates outside quotes.
func separator(data []byte) rune {
	counts := map[rune]int{}
	quoted := false
	for _, c := range string(data) {
		if c == '"' {
			quoted = !quoted
		}
		if quoted {
			continue
		}
		if c == '\n' {
			break
		}
		counts[c]++
	}
	best := ','
	for _, c := range []rune{';', '\t'} {
		if counts[c] > counts[best] {
			best = c
		}
	}
	return best
}

var notInID = regexp.MustCompile(`[^a-z0-9]+`)

func newID(p *plan.Plan, taken map[string]bool, name, row string) string {
	words := strings.Trim(notInID.ReplaceAllString(strings.ToLower(name), "-"), "-")
	if words == "" {
		words = "trailer"
	}
	h := fnv.New32a()
	_, _ = h.Write([]byte(row))
	id := words[:min(len(words), 40)] + "-" + strconv.FormatUint(uint64(h.Sum32()), 36)
	for n := 2; ; n++ {
		if _, ok := p.Trailers[id]; !ok && !taken[id] {
			taken[id] = true
			return id
		}
		id = strings.TrimRight(id, "0123456789") + strconv.Itoa(n)
	}
}

// formula reports whether a spreadsheet would run a cell as a formula: it begins with one of the
// signs, full-width ones too, after any blanks.
func formula(cell string) bool {
	begin := strings.TrimLeftFunc(cell, func(r rune) bool { return unicode.IsSpace(r) || unicode.IsControl(r) })
	if begin == "" || !strings.ContainsRune("=+-@＝＋－＠", firstRune(begin)) {
		return false
	}
	_, err := strconv.ParseFloat(cell, 64)
	return err != nil
}

func firstRune(s string) rune {
	r, _ := utf8.DecodeRuneInString(s)
	return r
}

// write makes a table (RFC 4180) whose cells no spreadsheet runs as formulas. What has a
// comma or semicolon stands in quotes, so that it parts no cell where either is the separator.
func write(rows [][]string) []byte {
	var b bytes.Buffer
	for _, r := range rows {
		for i, c := range r {
			if i > 0 {
				b.WriteByte(',')
			}
			c = strings.Map(func(r rune) rune {
				if unicode.IsControl(r) {
					return ' '
				}
				return r
			}, c)
			if formula(c) {
				c = "'" + c
			}
			if !strings.ContainsAny(c, "\",;'") {
				b.WriteString(c)
				continue
			}
			b.WriteString(`"` + strings.ReplaceAll(c, `"`, `""`) + `"`)
		}
		b.WriteString("\r\n")
	}
	return b.Bytes()
}
