package tables_test

import (
	"strings"
	"testing"

	"zygonos/core/internal/sample"
	"zygonos/core/out/tables"
)

// A stop lamp at the left of the tail on seven pins: its wire shares the way of its pole from the plug (1.8 m before the
// frame and 2.5 m along it, then 0.6 m across) and has 0.3 m to itself; the earth the same; then the seven contacts. A name that a
// spreadsheet would run stands behind an apostrophe.
func TestWires(t *testing.T) {
	p := sample.Plan(t, "/trailers/t/plug", `"pin-7"`, "/trailers/t/wiring",
		`{"wire":1.5,"lamps":{"a":{"order":1,"name":"=stop","what":"stop","back":2.5,"right":-0.6,"height":0.6}}}`)
	rows := rowsOf(t, tables.Wires(tables.RigOf(p, "t", "o")))
	if len(rows) != 1+2+7 {
		t.Fatalf("%d rows", len(rows))
	}
	want := []string{"wire", "6", "red", "stop", "'=stop", "300", "4900", "1.5", "14"}
	for i, w := range want {
		if rows[1][i] != w {
			t.Errorf("%s: %q, want %q", rows[0][i], rows[1][i], w)
		}
	}
	if !strings.HasPrefix(rows[1][9], "6 stop") || rows[2][1] != "3" || rows[3][0] != "contact" || rows[8][1] != "6" || rows[8][10] != "1" {
		t.Errorf("%v", rows)
	}
	if got := rowsOf(t, tables.Wires(nil)); len(got) != 1 {
		t.Errorf("no rig, %d rows", len(got))
	}
	if got := rowsOf(t, tables.Wires(tables.RigOf(sample.Plan(t), "t", "o"))); len(got) != 1 {
		t.Errorf("no wiring, %d rows", len(got))
	}
}
