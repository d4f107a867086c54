package tables_test

import (
	"fmt"
	"strings"
	"testing"

	"zygonos/core/out/tables"
)

// Lists as they come: pasted lines, tables with and without a heading, semicolons, tabs.
func TestReadParts(t *testing.T) {
	for _, c := range []struct{ text, want string }{
		{"4 x bolt M10 × 90\nrail, left", "||4|bolt M10 × 90 ||1|rail"},
		{"4 x bolt M10\nrail left", "||4|bolt M10 ||1|rail left"},
		{"rail left\n\n  \ncross member", "||1|rail left ||1|cross member"},
		{"2,hub\nwheel,3", "||2|hub ||3|wheel"},
		{"1;rail, left;2\n2;cross;5", "1||2|rail, left 2||5|cross"},
		{"1\trail\t80 × 40\t2", "1|80 × 40|2|rail"},
		{"\xef\xbb\xbfQty,Part,Size,No.\n2,rail,2.5 m,7", "7|2.5 m|2|rail"},
		{"Item No;Description;Quantity\n7;\"rail; left\";2", "7||2|rail; left"},
		{"", ""},
	} {
		got, err := tables.ReadParts([]byte(c.text))
		if err != nil {
			t.Fatalf("%q: %v", c.text, err)
		}
		var rows []string
		for _, r := range got.Rows {
			rows = append(rows, fmt.Sprintf("%s|%s|%d|%s", r.Number, r.Size, r.Want, r.Name))
		}
		if c.text == "4 x bolt M10 × 90\nrail, left" { // a comma in one line of two: its second cell is no count
			if len(got.Rows) != 1 || len(got.Wrong) != 1 || !strings.Contains(got.Wrong[0].Says, "not a number of pieces") {
				t.Errorf("%+v", got)
			}
			continue
		}
		if s := strings.Join(rows, " "); s != c.want || len(got.Wrong) > 0 {
			t.Errorf("%q: %s, want %s; %v", c.text, s, c.want, got.Wrong)
		}
	}
	got, err := tables.ReadParts([]byte("7,rail,2\n8,cross,many\n7,hub,1\n,,3"))
	if err != nil || len(got.Rows) != 2 || len(got.Wrong) != 3 || !strings.Contains(got.Wrong[1].Says, "Number 7 is also on line 1") {
		t.Errorf("%+v %v", got, err)
	}
	if _, err := tables.ReadParts([]byte{0xff, 0xfe}); err == nil {
		t.Error("not UTF-8")
	}
	if _, err := tables.ReadParts([]byte(strings.Repeat("rail\n", 1001))); err == nil || !strings.Contains(err.Error(), "1000") {
		t.Error(err)
	}
}

// Whatever is pasted, it answers.
func FuzzReadParts(f *testing.F) {
	f.Add([]byte("1;\"a\n;"))
	f.Fuzz(func(_ *testing.T, data []byte) { _, _ = tables.ReadParts(data) })
}
