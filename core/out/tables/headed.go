package tables

import (
	"bytes"
	"encoding/csv"
	"fmt"
	"io"
	"strings"
	"unicode/utf8"
)

// heading is a column of a list with the words that its heading may begin with.
type heading struct {
	field string
	words []string
}

// mostLines is how many lines a list may have.
const mostLines = 2000

// headed reads a list whose first line names its columns. lacks says what is missing of them; take gets each line that is not empty,
// and names the cell that cannot be used. What cannot be used is left out and stated.
func headed(
	text []byte, heads []heading, lacks func(has func(string) bool) string,
	take func(row []string, fields map[string]int, head []string) *CellError,
) (wrong []CellError, err error) {
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
		for _, h := range heads {
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
	if says := lacks(func(f string) bool { _, ok := fields[f]; return ok }); says != "" {
		return nil, Refusal(says)
	}
	wrong = []CellError{}
	for n := 0; ; {
		row, err := in.Read()
		if err == io.EOF {
			return wrong, nil
		}
		line, _ := in.FieldPos(0)
		if err != nil {
			wrong = append(
				wrong,
				CellError{Line: line, Column: 1, Says: "This line cannot be read: " + err.Error() + "."},
			)
			continue
		}
		if len(strings.TrimSpace(strings.Join(row, ""))) == 0 {
			continue
		}
		if n++; n > mostLines {
			return nil, Refusal(fmt.Sprintf("The list has more than %d lines.", mostLines))
		}
		if bad := take(row, fields, head); bad != nil {
			bad.Line = line
			wrong = append(wrong, *bad)
		}
	}
}
