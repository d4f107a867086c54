package tables_test

import (
	"bytes"
	"context"
	"encoding/csv"
	"math"
	"strings"
	"testing"

	"zygonos/core/internal/sample"
	"zygonos/core/out/tables"
	"zygonos/core/plan"
	"zygonos/core/review"
	"zygonos/core/rig"
	"zygonos/core/study"
	"zygonos/demo"
)

func read(t *testing.T, region, text string) *tables.Import {
	t.Helper()
	p := sample.Plan(t, "/region", `"`+region+`"`)
	got, err := tables.ReadTrailers(p, []byte(text))
	if err != nil {
		t.Fatal(err)
	}
	return got
}

func trailer(t *testing.T, i *tables.Import, n int) *plan.Trailer {
	t.Helper()
	p, err := plan.Apply(sample.Plan(t), i.Patch)
	if err != nil {
		t.Fatal(err)
	}
	if problems := plan.Clean(p); len(problems) > 0 {
		t.Fatalf("%+v", problems)
	}
	id := strings.TrimPrefix(i.Patch[n].Path, "/trailers/")
	tr := p.Trailers[id]
	return &tr
}

func TestTemplate(t *testing.T) {
	got := read(t, "uk", string(tables.Template()))
	if got.Good != 1 || len(got.Wrong) != 0 || len(got.Unread) != 0 {
		t.Fatalf("%+v", got)
	}
	tr := trailer(t, got, 0)
	if tr.Name != "Green tipper" || tr.Comes != plan.ComesUsed || *tr.Deal.Price != 950 || tr.Label.Value != 750 || tr.Label.Counts != plan.CountsGross ||
		tr.DeckLength.Value != 2.4 || *tr.CouplingSize != 0.05 || *tr.Deal.Hours != 6*3600 || tr.TyreText != "145/80 R13 79N" {
		t.Errorf("%+v", tr)
	}
}

func TestRead(t *testing.T) {
	for _, c := range []struct {
		name, region, text string
		good               int
		price, deck        float64
	}{
		{"commas", "uk", "name,price,deck length\nA,\"1,200\",2.4m\n", 1, 1200, 2.4},
		{"byte order mark, semicolons, decimal commas", "eu", "\xef\xbb\xbfName;Price;Deck  length\r\nA;1.200,50;2,4 m\r\n", 1, 1200.5, 2.4},
		{"tabs", "uk", "name\tprice\tdeck length\nA\t900\t2400\n", 1, 900, 2.4},
		{"quoted line break", "uk", "name,price,deck length\n\"A\nbig one\",900,8'\n", 1, 900, 2.4384},
		{"empty rows, no last line end", "uk", "name,price,deck length\n,,\n\nA,900,2400", 1, 900, 2.4},
		{"a name that looks like a formula", "uk", "name,price,deck length\n=1+2,900,2400\n", 1, 900, 2.4},
		{"made safe when written", "uk", "name,price,deck length\n'=cmd(),900,2400\n", 1, 900, 2.4},
	} {
		got := read(t, c.region, c.text)
		if got.Good != c.good || len(got.Wrong) > 0 {
			t.Errorf("%s: %+v", c.name, got)
			continue
		}
		tr := trailer(t, got, 0)
		if math.Abs(float64(*tr.Deal.Price)-c.price) > 1e-9 || math.Abs(float64(tr.DeckLength.Value)-c.deck) > 1e-9 {
			t.Errorf("%s: %v %v", c.name, *tr.Deal.Price, tr.DeckLength.Value)
		}
	}
	if n := trailer(t, read(t, "uk", "name\n'=cmd()\n"), 0).Name; n != "=cmd()" {
		t.Errorf("name %q", n)
	}
}

// Wrong rows are named with line and column; good rows are kept.
func TestWrong(t *testing.T) {
	got := read(t, "uk", "name,price,label counts,coupling size,colour\nA,900,gross,50 mm,red\nB,cheap,gross,,\n\"C\nD\",900,maybe,53 mm,\n,900,,,\nE,=1+2,,,\nF,-5,,,,more\nG,800,,2 in,\n")
	if got.Good != 2 || len(got.Unread) != 1 || got.Unread[0] != "colour" {
		t.Errorf("%d good, unread %v", got.Good, got.Unread)
	}
	want := []struct {
		line, column int
		head, says   string
	}{
		{3, 2, "price", "not a number"}, {5, 3, "label counts", "none of"}, {5, 4, "coupling size", "50 mm"}, {6, 1, "name", "no name"},
		{7, 2, "price", "Formulas"}, {8, 2, "price", "less than zero"}, {8, 6, "", "no heading"},
	}
	if len(got.Wrong) != len(want) {
		t.Fatalf("%+v", got.Wrong)
	}
	for i, w := range want {
		g := got.Wrong[i]
		if g.Line != w.line || g.Column != w.column || g.Head != w.head || !strings.Contains(g.Says, w.says) {
			t.Errorf("got %+v, want %+v", g, w)
		}
	}
	if got := read(t, "uk", "name\n\"open"); len(got.Wrong) != 1 || !strings.Contains(got.Wrong[0].Says, "quote") {
		t.Errorf("%+v", got)
	}
	many := "name\n" + strings.Repeat("A\n", tables.MaxRows+5)
	if got := read(t, "uk", many); got.Good != tables.MaxRows || len(got.Wrong) != 1 || got.Wrong[0].Line != tables.MaxRows+2 {
		t.Errorf("%d good, %+v", got.Good, got.Wrong)
	}
	ids := map[string]bool{}
	for _, op := range read(t, "uk", many).Patch {
		ids[op.Path] = true
	}
	if len(ids) != tables.MaxRows {
		t.Errorf("%d ids for %d rows", len(ids), tables.MaxRows)
	}
	p := sample.Plan(t)
	for name, text := range map[string]string{"empty": "", "no heading known": "a,b\n1,2\n", "not text": "\xff\xfe\x00", "too large": strings.Repeat("x", tables.MaxBytes+1)} {
		if _, err := tables.ReadTrailers(p, []byte(text)); err == nil {
			t.Errorf("%s was read", name)
		}
	}
}

func TestComparison(t *testing.T) {
	data, _ := demo.Files.ReadFile("heather-hives.zygonos.json")
	p, err := plan.Read(data)
	if err != nil {
		t.Fatal(err)
	}
	tr := p.Trailers["tiny-box"]
	tr.Name = "=cmd|' /C calc'!A0"
	p.Trailers["tiny-box"] = tr
	out := tables.Comparison(p, study.Compare(context.Background(), p, review.Request{}, false))
	rows, err := csv.NewReader(bytes.NewReader(out)).ReadAll()
	if err != nil || len(rows) != 7 {
		t.Fatalf("%v, %d rows", err, len(rows))
	}
	for i, r := range rows {
		if len(r) != len(rows[0]) {
			t.Errorf("row %d has %d cells", i, len(r))
		}
	}
	if rows[6][0] != "'=cmd|' /C calc'!A0" || rows[1][0] != "Low kit trailer" || rows[1][5] != "1061.60" {
		t.Errorf("%q %q", rows[6][0], rows[1][:6])
	}
}

func FuzzReadTrailers(f *testing.F) {
	f.Add([]byte("name,price\nA,1\n"))
	f.Add(tables.Template())
	p := sample.Plan(f)
	f.Fuzz(func(t *testing.T, data []byte) {
		got, err := tables.ReadTrailers(p, data)
		if err != nil {
			return
		}
		next, err := plan.Apply(p, got.Patch)
		if err != nil {
			t.Fatal(err)
		}
		plan.Clean(next)
	})
}

// Cells that a spreadsheet would run, or that would part where a semicolon is the separator, come
// as plain text.
func TestCellsAreText(t *testing.T) {
	for name, want := range map[string]string{
		"=1+1": `"'=1+1"`, "\n=1+1": `"' =1+1"`, "＝1+1": `"'＝1+1"`, "x;=1+1": `"x;=1+1"`, "\x00@sum": `"' @sum"`, "-3": "-3", "Canoe": "Canoe", `12" board`: `"12"" board"`,
	} {
		p := sample.Plan(t)
		l := p.Loads["crate"]
		l.Name = name
		p.Loads["crate"] = l
		got := string(tables.Loads(rig.Resolve(p, "t", "o")))
		if line := strings.Split(got, "\r\n")[1]; !strings.HasPrefix(line, want+",") {
			t.Errorf("%q comes as %.40s", name, line)
		}
	}
}
