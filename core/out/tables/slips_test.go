package tables_test

import (
	"strings"
	"testing"

	"zygonos/core/internal/sample"
	"zygonos/core/out/tables"
)

// Slips are read by their headings, by the region's days and units; what cannot be used is named by line and column.
func TestReadSlips(t *testing.T) {
	p := sample.Plan(t)
	got, err := tables.ReadSlips(p, []byte("Date;Material;Loaded;Tare;Volume;Price\n"+
		"01/05/2026;Gravel;668 kg;246;0.25;18.50\n2026-05-02;sand;700;250;;\n;unobtainium;700;250;;\n;;0;250;;\n;;700;;;\n"))
	if err != nil || len(got.Rows) != 2 || len(got.Wrong) != 3 {
		t.Fatalf("%v %+v", err, got)
	}
	a := got.Rows[0]
	if a.On != "2026-05-01" || a.Slip.Material != "gravel" || *a.Slip.Full != 668 || *a.Slip.Empty != 246 || *a.Slip.Fill != 0.25 ||
		*a.Slip.Price != 18.5 {
		t.Errorf("%+v", a)
	}
	for i, want := range []string{"not a material", "more than zero", "Both weights"} {
		if w := got.Wrong[i]; w.Line != 4+i || !strings.Contains(w.Says, want) {
			t.Errorf("%+v, want %q", w, want)
		}
	}
	for text, want := range map[string]string{"": "empty", "date,material\n": "loaded and the empty", "loaded,tare\n\xff": "UTF-8"} {
		if _, err := tables.ReadSlips(p, []byte(text)); err == nil || !strings.Contains(err.Error(), want) {
			t.Errorf("%q: %v", text, err)
		}
	}
}
