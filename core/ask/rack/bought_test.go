package rack

import (
	"math"
	"testing"

	"zygonos/core/internal/sample"
	"zygonos/core/lang/finding"
	"zygonos/core/lang/quantity"
	"zygonos/core/rig"
)

// carried is the sample's crate, 60 kg and 1 m long, on a bought carrier 2 m long: its centre 1.25 m
// behind the carrier's front, beside the middle by aside.
func carried(t *testing.T, carrier, aside string, more ...string) []finding.Finding {
	t.Helper()
	part := `{"order":1,"name":"Saddles","mass":{"value":20,"how":"weighed"},"size":{"length":{"value":2,"how":"weighed"},
		"width":{"value":1.2,"how":"weighed"},"height":{"value":0.3,"how":"weighed"}},"centre":{},
		"slots":{"a":{"order":1,"name":"a","at":{"back":0.75,"right":` + aside + `}}}`
	if carrier != "" {
		part += `,"carrier":` + carrier
	}
	sets := append([]string{
		"/loads/crate/mass", `{"value":60,"plusMinus":0,"how":"weighed"}`,
		"/parts/saddle", part + "}",
		"/outings/o/layouts/t/parts", `{"saddle":{"at":{"back":0}}}`,
		sample.Crate, `{"on":"part","id":"saddle","slot":"a","at":{"back":0}}`,
	}, more...)
	_, fs := Check(rig.Resolve(sample.Plan(t, sets...), "t", "o"))
	return fs
}

const track = "/outings/o/road"

// On bars 0.5 and 2 m behind the front the crate's 60 kg bear 30 each; shocks count twice on the
// road and three times on a track. 0.3 m beside the middle, clamps 1 m apart, one clamp bears
// 30·(0.5 + 0.3) = 24 kg.
func TestCarrier(t *testing.T) {
	for _, c := range []struct {
		carrier, aside, road string
		want                 finding.Outcome
		bears, allowed       float64
	}{
		{`{"bar":100,"counts":"static","frontAt":0.5,"rearAt":2}`, "0", "open", finding.Holds, 30, 50},
		{`{"bar":100,"counts":"static","frontAt":0.5,"rearAt":2}`, "0", "track", finding.Holds, 30, 33.333}, // a tenth left
		{`{"bar":96,"counts":"static","frontAt":0.5,"rearAt":2}`, "0", "track", finding.Tight, 30, 32},
		{`{"bar":50,"counts":"static","frontAt":0.5,"rearAt":2}`, "0", "open", finding.Fails, 30, 25},
		{`{"bar":50,"counts":"moving","frontAt":0.5,"rearAt":2}`, "0", "open", finding.Holds, 30, 50},
		{`{"bar":40,"counts":"moving","frontAt":0.5,"rearAt":2}`, "0", "track", finding.Fails, 30, 26.667},
		{`{"bar":50,"frontAt":0.5,"rearAt":2}`, "0", "open", finding.Tight, 30, 25},   // as driving it would do
		{`{"bar":25,"frontAt":0.5,"rearAt":2}`, "0", "open", finding.Fails, 30, 12.5}, // in no way
		{`{"bar":90,"counts":"static"}`, "0", "open", finding.Tight, 39, 45},          // where bars stand decides
		{`{"bar":200,"counts":"static"}`, "0", "open", finding.Holds, 39, 100},
		{`{"whole":80,"place":150,"counts":"static"}`, "0", "open", finding.Fails, 60, 40},
		{`{"clamp":60,"counts":"static","frontAt":0.5,"rearAt":2,"apart":1}`, "0.3", "open", finding.Holds, 24, 30},
		{`{"clamp":40,"counts":"static","frontAt":0.5,"rearAt":2,"apart":1}`, "0.3", "open", finding.Fails, 24, 20},
		{`{"clamp":40,"counts":"static","frontAt":0.5,"rearAt":2,"apart":1}`, "-0.3", "open", finding.Fails, 24, 20},
	} {
		f := sample.Find(t, carried(t, c.carrier, c.aside, track, `"`+c.road+`"`), CodeCarrier)
		if f.Outcome != c.want || math.Abs(f.Figure.Value-c.bears) > 1e-6 || math.Abs(f.Limit.Value-c.allowed) > 1e-3 {
			t.Errorf("%s on %s: %s %v of %v", c.carrier, c.road, f.Outcome, f.Figure.Value, f.Limit.Value)
		}
	}
	// A guess of 60 ± 60 kg may be too much; nothing weighed holds nothing; beyond the bars it tips off.
	enough := `{"bar":100,"counts":"static","frontAt":0.5,"rearAt":2}`
	for sets, want := range map[string]finding.Outcome{
		`{"value":60,"plusMinus":60,"how":"guessed"}`: finding.Tight, "-": finding.Unknown,
	} {
		if f := sample.Find(t, carried(t, enough, "0", "/loads/crate/mass", sets, "/loads/crate/kind", "-"), CodeCarrier); f.Outcome != want {
			t.Errorf("%s: %+v", sets, f)
		}
	}
	if f := sample.Find(t, carried(t, `{"bar":100,"counts":"static","frontAt":1.5,"rearAt":2}`, "0"), CodeCarrier); f.Outcome != finding.Fails {
		t.Errorf("beyond its bars: %+v", f)
	}
	for _, none := range []string{"", "{}"} {
		f := sample.Find(t, carried(t, none, "0"), CodeCarrier)
		if f.Outcome != finding.Unknown || len(f.Needs) != 1 {
			t.Errorf("a carrier of which nothing is told: %+v", f)
		}
	}
}

// Two 40 × 40 × 3 tubes 2 m long on bars at 0.25 and 1.75 m, the crate's 60 kg spread over 0.75 to
// 1.75 m: on each rail 294.2 N/m over 1 m. R_rear = 294.2·(1.25 − 0.25)/1.5 = 196.1 N, own weight
// 32.39 N/m. Shear is zero where 98.07 + own = 294.2·x: checked by hand below.
func TestRail(t *testing.T) {
	rail := `{"bar":500,"counts":"static","frontAt":0.25,"rearAt":1.75,"railLength":2,
		"rail":{"shape":"tube","height":0.04,"width":0.04,"wall":0.003,"material":"mild"}}`
	f := sample.Find(t, carried(t, rail, "0"), CodeRail)
	// At x behind the front bar: M = R·x − q·(x − 0.5)²/2 + own, R = 294.2·0.5/1.5 = 98.07 N,
	// q = 294.2; without own weight greatest at x = 0.5 + 98.07/294.2 = 0.8333: 65.38 N·m. Own
	// weight: 32.39·(0.8333·(1.5 − 0.8333)/2 − 0.25²/2) = 7.99. Together 73.4 N·m, twice, over
	// 4.6618 cm³: 31.5 MPa.
	if math.Abs(f.Figure.Value-31.5e6) > 0.3e6 || f.Outcome != finding.Holds {
		t.Errorf("%v %s", f.Figure.Value, f.Outcome)
	}
	if f := sample.Find(t, carried(t, `{"bar":500,"rail":{"shape":"tube","height":0.04,"width":0.04,"wall":0.003,"material":"mild"}}`, "0"), CodeRail); f.Outcome != finding.Unknown || len(f.Needs) != 3 {
		t.Errorf("%+v", f)
	}
	// Of plastic pipe: it may hold while it is cool, never plainly.
	plastic := `{"bar":500,"counts":"static","frontAt":0.25,"rearAt":1.75,"railLength":2,
		"rail":{"shape":"round","height":0.11,"wall":0.0053,"material":"pvc"}}`
	cool := sample.Find(t, carried(t, plastic, "0"), CodeRail)
	if cool.Outcome == finding.Fails {
		t.Fatalf("%+v", cool)
	}
	weak := `{"bar":500,"counts":"static","frontAt":0.25,"rearAt":1.75,"railLength":2,
		"rail":{"shape":"round","height":0.075,"wall":0.0036,"material":"pvc"}}`
	if f := sample.Find(t, carried(t, weak, "0"), CodeRail); f.Outcome == finding.Holds {
		t.Errorf("a thin plastic pipe holds: %v of %v", f.Figure.Value, f.Limit.Value)
	}
}

// Order, region and units say nothing of what a carrier bears; a heavier load never uses it less.
func TestCarrierNeverEasier(t *testing.T) {
	last := 0.0
	for _, kg := range []string{"20", "40", "60", "90"} {
		fs := carried(t, `{"bar":100,"whole":120,"counts":"static","frontAt":0.5,"rearAt":2}`, "0",
			"/loads/crate/mass", `{"value":`+kg+`,"plusMinus":0,"how":"weighed"}`)
		f := sample.Find(t, fs, CodeCarrier)
		if used := f.Figure.Value / f.Limit.Value; used < last || !quantity.Finite(used) {
			t.Errorf("%s kg: used %v after %v", kg, used, last)
		} else {
			last = used
		}
	}
}
