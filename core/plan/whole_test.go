package plan_test

import (
	"bytes"
	"math/rand/v2"
	"reflect"
	"strconv"
	"testing"

	"zygonos/core/plan"
)

// fill sets every field that a document can have, lists and maps with up to three entries.
func fill(r *rand.Rand, v reflect.Value, deep int) {
	switch v.Kind() {
	case reflect.Pointer:
		if deep > 0 && r.IntN(4) > 0 {
			v.Set(reflect.New(v.Type().Elem()))
			fill(r, v.Elem(), deep)
		}
	case reflect.Struct:
		for i := range v.NumField() {
			if v.Type().Field(i).IsExported() {
				fill(r, v.Field(i), deep-1)
			}
		}
	case reflect.Map:
		v.Set(reflect.MakeMap(v.Type()))
		for range r.IntN(3) {
			key, value := reflect.New(v.Type().Key()).Elem(), reflect.New(v.Type().Elem()).Elem()
			key.SetString("k" + strconv.Itoa(r.IntN(1000)))
			fill(r, value, deep-1)
			v.SetMapIndex(key, value)
		}
	case reflect.Slice:
		for range r.IntN(3) {
			e := reflect.New(v.Type().Elem()).Elem()
			fill(r, e, deep-1)
			v.Set(reflect.Append(v, e))
		}
	case reflect.Array:
		for i := range v.Len() {
			fill(r, v.Index(i), deep-1)
		}
	case reflect.String:
		v.SetString([]string{"", "a", "Ünder <&> \"it\"", "east\u2028west", "k1"}[r.IntN(5)])
	case reflect.Bool:
		v.SetBool(r.IntN(2) == 0)
	case reflect.Int, reflect.Int64, reflect.Int32:
		v.SetInt(int64(r.IntN(40) - 5))
	case reflect.Float64:
		v.SetFloat([]float64{0, 0.1 + 0.2, -1.5, 1e-7, 123456.789, r.Float64() * 10}[r.IntN(6)])
	}
}

// Out, in and out again is the same to the byte, whatever stands in a plan; and so it is
// once it was cleaned, which cleaning again does not change.
func TestOutInOut(t *testing.T) {
	r := rand.New(rand.NewPCG(8, 15))
	bytesOf := func(p *plan.Plan) []byte {
		data, err := plan.Write(p)
		if err != nil {
			t.Fatal(err)
		}
		return data
	}
	for range 150 {
		p := &plan.Plan{}
		fill(r, reflect.ValueOf(p).Elem(), 12)
		p.Format, p.Version = plan.Format, plan.Version
		for _, clean := range []bool{false, true} {
			if clean {
				plan.Clean(p)
			}
			out := bytesOf(p)
			q, err := plan.Read(out)
			if err != nil {
				t.Fatalf("cleaned %v: %v", clean, err)
			}
			if again := bytesOf(q); !bytes.Equal(out, again) {
				t.Fatalf("cleaned %v: out again is another:\n%s\n%s", clean, out, again)
			}
			if clean {
				plan.Clean(q)
				if again := bytesOf(q); !bytes.Equal(out, again) {
					t.Fatalf("cleaning anew changes it:\n%s\n%s", out, again)
				}
			}
		}
	}
}

// What a document leaves out goes out empty, never as null.
func TestLeftOut(t *testing.T) {
	p, err := plan.Read([]byte(`{"format":"zygonos-plan","version":1,"name":"Bare","outings":{"o":{"order":1,"name":"O","layouts":{"t":{}}}}}`))
	if err != nil {
		t.Fatal(err)
	}
	out, err := plan.Write(p)
	if err != nil || bytes.Contains(out, []byte("null")) || p.Outings["o"].Layouts["t"].Placements == nil || p.Trailers == nil {
		t.Errorf("%v\n%s", err, out)
	}
}
