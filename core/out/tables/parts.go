package tables

import (
	"bytes"
	"encoding/csv"
	"fmt"
	"io"
	"regexp"
	"slices"
	"strconv"
	"strings"
	"unicode/utf8"

	"zygonos/core/records"
)

// PartsRead is what a parts list came to.
type PartsRead struct {
	Rows  []records.PartRecord `json:"rows"`
	Wrong []CellError          `json:"wrong"`
}

// partHeads are the words that a heading may begin with.
var partHeads = []struct {
	field string
	words []string
}{
	{"number", []string{"no", "nr", "num", "pos", "item", "part no", "part number", "ref"}},
	{"count", []string{"count", "qty", "quant", "pcs", "pieces", "want", "amount"}},
	{"size", []string{"size", "dim", "length", "spec"}},
	{"name", []string{"name", "part", "desc", "what", "component"}},
}

// mostParts is how many lines a parts list may have.
const mostParts = 1000

var (
	counted = regexp.MustCompile(`^(\d{1,4})\s*[x×*]\s+(.+)$`)
	whole   = regexp.MustCompile(`^\d{1,4}$`)
)

// ReadParts reads a parts list that was typed, pasted or kept as a table: with a heading or without. Without one a line of
// one cell is a name, "4 x bolt" four of it; of two, the number is the count; of more: number, name, size, count. A number
// that stands twice is named, and both lines are kept.
func ReadParts(text []byte) (*PartsRead, error) {
	if len(text) > MaxBytes {
		return nil, Refusal("The list is larger than 1 MB.")
	}
	text = bytes.TrimPrefix(text, []byte("\xef\xbb\xbf"))
	if !utf8.Valid(text) {
		return nil, Refusal("The list is not written in UTF-8. Save it as UTF-8, or paste it.")
	}
	out := &PartsRead{Rows: []records.PartRecord{}, Wrong: []CellError{}}
	in := csv.NewReader(bytes.NewReader(text))
	in.Comma = separator(
		bytes.ReplaceAll(text, []byte("\n"), []byte(" ")),
	) // of all its lines: the first may have none
	in.FieldsPerRecord, in.LazyQuotes, in.TrimLeadingSpace = -1, true, true
	var heads []string
	first := map[string]int{}
	for {
		row, err := in.Read()
		if err == io.EOF {
			break
		}
		line, _ := in.FieldPos(0)
		if err != nil {
			out.Wrong = append(
				out.Wrong,
				CellError{Line: line, Column: 1, Says: "This line cannot be read: " + err.Error() + "."},
			)
			continue
		}
		for i := range row {
			row[i] = strings.TrimSpace(row[i])
		}
		if slices.IndexFunc(row, func(c string) bool { return c != "" }) < 0 {
			continue
		}
		if heads == nil && len(out.Rows) == 0 {
			if heads = headsOf(row); heads != nil {
				continue
			}
		}
		p, wrong := partOf(row, heads)
		if wrong != nil {
			wrong.Line = line
			out.Wrong = append(out.Wrong, *wrong)
			continue
		}
		if was, twice := first[p.Number]; twice && p.Number != "" {
			out.Wrong = append(out.Wrong, CellError{Line: line, Column: 1, Head: "number",
				Says: fmt.Sprintf(
					"Number %s is also on line %d. Both are kept: see which is right.",
					p.Number,
					was,
				)})
		} else {
			first[p.Number] = line
		}
		if len(out.Rows) == mostParts {
			return nil, Refusal(fmt.Sprintf("The list has more than %d lines.", mostParts))
		}
		out.Rows = append(out.Rows, *p)
	}
	return out, nil
}

// headsOf are the fields of a heading; nil where the row is none.
func headsOf(row []string) []string {
	out := make([]string, len(row))
	named := false
	for i, c := range row {
		low := strings.ToLower(strings.TrimRight(c, ".:"))
		for _, h := range partHeads {
			if slices.Contains(out, h.field) {
				continue
			}
			if slices.ContainsFunc(
				h.words,
				func(w string) bool { return low == w || strings.HasPrefix(low, w) && len(w) > 3 },
			) {
				out[i] = h.field
				break
			}
		}
		named = named || out[i] == "name"
	}
	if !named || len(row) < 2 {
		return nil
	}
	return out
}

// partOf reads a line.
func partOf(row, heads []string) (*records.PartRecord, *CellError) {
	cells := map[string]string{}
	switch {
	case heads != nil:
		for i, c := range row {
			if i < len(heads) && heads[i] != "" {
				cells[heads[i]] = c
			}
		}
	case len(row) == 1:
		cells["name"] = row[0]
		if m := counted.FindStringSubmatch(row[0]); m != nil {
			cells["count"], cells["name"] = m[1], m[2]
		}
	case len(row) == 2 && whole.MatchString(row[0]):
		cells["count"], cells["name"] = row[0], row[1]
	case len(row) == 2:
		cells["name"], cells["count"] = row[0], row[1]
	case len(row) == 3:
		cells["number"], cells["name"], cells["count"] = row[0], row[1], row[2]
	default:
		cells["number"], cells["name"], cells["size"], cells["count"] = row[0], row[1], row[2], row[3]
	}
	p := &records.PartRecord{
		Number: cut(cells["number"], 40), Name: cut(cells["name"], 200), Size: cut(cells["size"], 100), Want: 1,
	}
	if p.Name == "" {
		return nil, &CellError{Column: 1, Head: "name", Says: "This line has no name."}
	}
	if c := cells["count"]; c != "" {
		n, err := strconv.Atoi(c)
		if err != nil || n < 1 || n > 10_000 {
			return nil, &CellError{
				Column: len(row),
				Head:   "count",
				Says:   fmt.Sprintf("“%s” is not a number of pieces.", cut(c, 40)),
			}
		}
		p.Want = n
	}
	return p, nil
}

// cut is a text of so many characters at most.
func cut(s string, most int) string {
	r := []rune(s)
	return string(r[:min(len(r), most)])
}
