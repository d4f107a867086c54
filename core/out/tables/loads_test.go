package tables_test

import (
	"encoding/csv"
	"strings"
	"testing"

	"zygonos/core/internal/sample"
	"zygonos/core/out/tables"
	"zygonos/core/plan"
	"zygonos/core/review"
)

func rowsOf(t *testing.T, table []byte) [][]string {
	t.Helper()
	rows, err := csv.NewReader(strings.NewReader(strings.TrimPrefix(string(table), "\ufeff"))).ReadAll()
	if err != nil {
		t.Fatal(err)
	}
	return rows
}

// The crate stands 750 mm behind the board, 400 kg, 1000 × 800 × 700 mm, its centre 2250 mm
// behind the ball; a name that a spreadsheet would run stands behind an apostrophe.
func TestLoads(t *testing.T) {
	p := sample.Plan(t, "/loads/crate/name", `"=1+1"`, "/trailers/t/deckHeight", `{"value":0.5,"how":"weighed"}`)
	rows := rowsOf(t, tables.Loads(tables.RigOf(p, "t", "o")))
	if len(rows) != 2 {
		t.Fatalf("%d rows", len(rows))
	}
	want := []string{"'=1+1", "box", "400.0", "400.0", "400.0", "750", "0", "1000", "800", "700", "2250", "815"}
	for i, w := range want {
		if rows[1][i] != w {
			t.Errorf("%s: %q, want %q", rows[0][i], rows[1][i], w)
		}
	}
	if got := rowsOf(t, tables.Loads(tables.RigOf(p, "", ""))); len(got) != len(rows) { // picked as a review does
		t.Errorf("nothing told, and %d rows", len(got))
	}
	if got := rowsOf(t, tables.Loads(tables.RigOf(&plan.Plan{}, "gone", "o"))); len(got) != 1 {
		t.Errorf("no trailer, and %d rows", len(got))
	}
}

func TestLashings(t *testing.T) {
	p := sample.Plan(t, "/trailers/t/deckHeight", `{"value":0.5,"how":"weighed"}`,
		"/trailers/t/tiePoints", `{"front-left":{"order":1,"kind":"ring-welded","rating":500,"at":{"back":1,"right":-0.68}},"front-right":{"order":2,"kind":"ring-welded","rating":500,"at":{"back":1,"right":0.68}}}`,
		"/straps", `{"s":{"order":1,"name":"Strap","kind":"ratchet","limit":1000,"count":2}}`,
		"/outings/o/layouts/t/lashings", `{"a":{"order":1,"load":"crate","strap":"s","from":"front-left","to":"front-right","hold":{"back":0.25}},"b":{"order":2,"load":"crate","strap":"s","from":"front-left","hold":{"back":0.25,"right":-0.4,"up":0.1}}}`)
	rows := rowsOf(t, tables.Lashings(tables.RigOf(p, "t", "o")))
	if len(rows) != 3 {
		t.Fatalf("%v", rows)
	}
	// Over 0.8 m and down twice by √(0.28² + 0.7²) = 0.7539: 2308 mm.
	for i, w := range []string{"Crate", "Strap", "front left", "over to front right", "2308", "250", "tie point", "125"} {
		if rows[1][i] != w {
			t.Errorf("%s: %q, want %q", rows[0][i], rows[1][i], w)
		}
	}
	if rows[2][3] != "the load" {
		t.Errorf("%v", rows[2])
	}
	if got := rowsOf(t, tables.Lashings(nil)); len(got) != 1 {
		t.Error("rows of nothing")
	}
}

// Own ramps stand in the cut list, bought ones do not.
func TestRampPieces(t *testing.T) {
	p := sample.Plan(t, "/parts/ramps", `{"order":1,"name":"Ramps","mass":{"value":30,"how":"weighed"},"centre":{},"ramp":{"length":2,"width":0.3,"gap":0.1,"profile":{"shape":"tube","height":0.05,"width":0.03,"wall":0.003,"material":"s235"}}}`,
		"/outings/o/layouts/t/loading", `{"machine":"crate","ramp":"ramps"}`)
	rep := review.Review(p, review.Request{Outing: "o", Trailer: "t"})
	rows := rowsOf(t, tables.CutList(p, rep))
	if len(rows) != 4 || strings.Join(rows[1][:2], " ") != "Ramps side" || rows[1][3] != "4" || rows[1][4] != "2000" || rows[2][3] != "28" || rows[2][4] != "200" || rows[3][1] != "in all" {
		t.Errorf("%v", rows)
	}
	delete(p.Parts, "ramps")
	if rows := rowsOf(t, tables.CutList(p, rep)); len(rows) != 1 {
		t.Errorf("%v", rows)
	}
}
