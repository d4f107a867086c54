package quantity_test

import (
	"encoding/json"
	"errors"
	"fmt"
	"math"
	"os"
	"testing"

	"zygonos/core/lang/quantity"
)

type vectors struct {
	Print, Parse, Refuse [][]any
}

func load(t testing.TB) vectors {
	t.Helper()
	data, err := os.ReadFile("testdata/vectors.json")
	if err != nil {
		t.Fatal(err)
	}
	var v vectors
	if err := json.Unmarshal(data, &v); err != nil {
		t.Fatal(err)
	}
	return v
}

func locale(row []any) quantity.Locale {
	return quantity.Locale{Units: quantity.System(row[0].(string)), Region: quantity.Region(row[1].(string))}
}

func TestVectors(t *testing.T) {
	v := load(t)
	for _, row := range v.Print {
		if got := locale(row).Text(quantity.Kind(row[2].(string)), row[3].(float64)); got != row[4] {
			t.Errorf("print %v: got %q", row, got)
		}
	}
	for _, row := range v.Parse {
		got, err := locale(row).Parse(quantity.Kind(row[2].(string)), row[3].(string))
		if err != nil {
			t.Errorf("parse %v: %v", row, err)
			continue
		}
		if want := row[4].(float64); math.Abs(got.Value-want) > 1e-6*math.Max(1, math.Abs(want)) {
			t.Errorf("parse %v: got %v", row, got.Value)
		}
		for i, p := range []*float64{got.PlusMinus, got.Relative} {
			var want any
			if len(row) > 5+i {
				want = row[5+i]
			}
			if (p == nil) != (want == nil) || p != nil && math.Abs(*p-want.(float64)) > 1e-9 {
				t.Errorf("parse %v: doubt %d is %v", row, i, p)
			}
		}
	}
	for _, row := range v.Refuse {
		_, err := locale(row).Parse(quantity.Kind(row[2].(string)), row[3].(string))
		var pe *quantity.ParseError
		if !errors.As(err, &pe) || pe.Reason != row[4] {
			t.Errorf("refuse %v: got %v", row, err)
		}
	}
}

// What is printed is read back as the same figure, to the printed precision.
func TestRoundTrip(t *testing.T) {
	for _, region := range quantity.Regions {
		for _, units := range []quantity.System{quantity.Metric, quantity.Imperial} {
			l := quantity.Locale{Units: units, Region: region}
			for _, k := range []quantity.Kind{quantity.KindMass, quantity.KindLength, quantity.KindSpeed, quantity.KindPressure, quantity.KindShare, quantity.KindVolume, quantity.KindDensity, quantity.KindAngle} {
				for _, v := range []float64{-2.5, 0, 0.3, 1, 7.62, 41.9, 999.6, 123456} {
					text := l.Text(k, v)
					got, err := l.Parse(k, text)
					if err != nil {
						t.Fatalf("%v %s %q: %v", l, k, text, err)
					}
					if again := l.Text(k, got.Value); again != text {
						t.Errorf("%v %s: %v printed %q, read and printed again %q", l, k, v, text, again)
					}
				}
			}
		}
	}
}

func TestNotFinite(t *testing.T) {
	l := quantity.Locale{Units: quantity.Metric}
	for _, v := range []float64{math.NaN(), math.Inf(1), math.Inf(-1)} {
		if got := l.Text(quantity.KindMass, v); got != "–" {
			t.Errorf("%v printed %q", v, got)
		}
	}
}

func FuzzParse(f *testing.F) {
	for _, row := range append(load(f).Parse, load(f).Refuse...) {
		f.Add(row[3].(string))
	}
	for _, s := range []string{"<script>", "=cmd", "١٢ kg", "🛶", "-", "'", `"`, "1/", "/2", "± 3", "e5", "0x12p3", "1 '", "inf", "1_0"} {
		f.Add(s)
	}
	f.Fuzz(func(t *testing.T, s string) {
		for _, l := range []quantity.Locale{{Units: quantity.Metric, Region: quantity.UK}, {Units: quantity.Imperial, Region: quantity.EU}} {
			for _, k := range []quantity.Kind{quantity.KindMass, quantity.KindLength, quantity.KindVolume} {
				got, err := l.Parse(k, s)
				if err == nil && !quantity.Finite(got.Value) {
					t.Fatalf("%q read as %v", s, got.Value)
				}
				if err != nil && err.Error() == "" {
					t.Fatalf("%q refused without a sentence", s)
				}
			}
		}
	})
}

func ExampleLocale_Parse() {
	l := quantity.Locale{Units: quantity.Metric, Region: quantity.NorthAmerica}
	got, _ := l.Parse(quantity.KindLength, `8' 4 3/4"`)
	fmt.Println(l.Text(quantity.KindLength, got.Value))
	// Output: 2559 mm
}
