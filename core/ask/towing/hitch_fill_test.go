package towing_test

import (
	"math"
	"strings"
	"testing"

	"zygonos/core/ask/towing"
	"zygonos/core/internal/sample"
	"zygonos/core/lang/finding"
	"zygonos/core/lang/quantity"
	"zygonos/core/plan"
	"zygonos/core/rig"
)

func checked(t *testing.T, sets ...string) (*plan.Plan, towing.Result) {
	t.Helper()
	p := sample.Plan(t, sets...)
	return p, towing.Check(rig.Resolve(p, "t", "o"))
}

// T 2000 kg and R 1500 kg: 9.80665·3,000,000/3500 = 8405.7 N.
func TestDValue(t *testing.T) {
	if d := towing.DValue(2000, 1500); math.Abs(d-8405.7) > 0.01 {
		t.Errorf("D %v", d)
	}
	if towing.DValue(0, 1500) != 0 || towing.DValue(2000, -1) != 0 {
		t.Error("no masses, no D")
	}
	// Gross 750 and axle 800: the gross rules, R = 750: 9.80665·2000·750/2750 = 5349.08 N.
	for _, c := range []struct {
		limit, want string
		sets        []string
		figure      float64
	}{
		{"6000", "holds", nil, 5349.0818},
		{"5400", "tight", nil, 5349.0818},
		{"5000", "fails", nil, 5349.0818},
		// An axle of 600 kg: Dc with C = 600: 9.80665·2000·600/2600 = 4526.1462 N.
		{"5000", "holds", []string{"/trailers/t/axleRating", `600`}, 4526.1462},
		// A label that counts the load alone: 750 + 250 empty, so the axle's 800: 5604.
		{"6000", "holds", []string{"/trailers/t/label/counts", `"payload"`}, 9.80665 * 2000 * 800 / 2800},
		{"6000", "unknown", []string{"/towVehicles/car/gross", "-"}, 0},
	} {
		_, res := checked(t, append(c.sets, "/towVehicles/car/hitchD", c.limit)...)
		f := sample.Find(t, res.Findings, towing.CodeLink+"hitch-d")
		if string(f.Outcome) != c.want || c.figure > 0 && math.Abs(f.Figure.Value-c.figure) > 0.001 {
			t.Errorf("D limit %s: %s %+v", c.limit, f.Outcome, f.Figure)
		}
	}
}

func TestSpeed(t *testing.T) {
	for _, c := range []struct {
		code, want string
		sets       []string
	}{
		{towing.CodeTyreSpeed, "holds", []string{"/trailers/t/tyreText", `"145/80 R13 84J"`, "/outings/o/speed", `27.7`}},
		{towing.CodeTyreSpeed, "fails", []string{"/trailers/t/tyreSymbol", `"E"`, "/outings/o/speed", `22.2`}},
		{towing.CodeTyreSpeed, "fails", []string{"/trailers/t/tyreSpeed", `20`, "/trailers/t/tyreText", `"145/80 R13 84J"`, "/outings/o/speed", `22.2`}},
		{towing.CodeTyreSpeed, "unknown", []string{"/outings/o/speed", `22.2`}},
		{towing.CodeTyreSpeed, "tight", []string{"/trailers/t/tyreText", `"145/80 R13 84D"`}}, // 65 km/h of 50 mph, no speed stated
		{towing.CodeRoadSpeed, "holds", []string{"/outings/o/speed", `22.352`}},               // 50 mph
		{towing.CodeRoadSpeed, "fails", []string{"/outings/o/speed", `24.6`}},
		{towing.CodeRoadSpeed, "holds", []string{"/outings/o/speed", `24.6`, "/outings/o/road", `"motorway"`}},
		{towing.CodeRoadSpeed, "fails", []string{"/outings/o/speed", `25.6`, "/region", `"nz"`}},
	} {
		_, res := checked(t, c.sets...)
		if f := sample.Find(t, res.Findings, c.code); string(f.Outcome) != c.want {
			t.Errorf("%v: %s", c.sets, f.Outcome)
		}
	}
	_, res := checked(t, "/outings/o/speed", `40`, "/region", `"na"`)
	for _, f := range res.Findings {
		if f.Code == towing.CodeRoadSpeed {
			t.Error("North American speeds are the states' own")
		}
	}
}

func TestPlugAndMount(t *testing.T) {
	for _, c := range []struct {
		code, want string
		sets       []string
	}{
		{towing.CodePlug, "holds", []string{"/towVehicles/car/socket", `"pin-13"`, "/trailers/t/plug", `"pin-13"`}},
		{towing.CodePlug, "fails", []string{"/towVehicles/car/socket", `"pin-7"`, "/trailers/t/plug", `"pin-13"`}},
		{towing.CodePlug, "holds", []string{"/towVehicles/car/socket", `"pin-7"`, "/trailers/t/plug", `"pin-13"`, "/towVehicles/car/adapter", `true`}},
		{towing.CodePlug, "unknown", []string{"/towVehicles/car/socket", `"pin-7"`}},
		{towing.CodePlug, "unknown", []string{"/trailers/t/plug", `"pin-7"`}},
		{towing.CodeMount, "unknown", []string{"/towVehicles/car/ballHeight", `0.4`}},
		{towing.CodeMount, "unknown", []string{"/trailers/t/couplingHeight", `0.4`}},
		{towing.CodeMount, "holds", []string{"/towVehicles/car/ballHeight", `0.4`, "/trailers/t/couplingHeight", `0.425`}},
		{towing.CodeMount, "tight", []string{"/towVehicles/car/ballHeight", `0.47`, "/trailers/t/couplingHeight", `0.4`}},
	} {
		p, res := checked(t, c.sets...)
		f := sample.Find(t, res.Findings, c.code)
		if string(f.Outcome) != c.want {
			t.Errorf("%v: %s", c.sets, f.Outcome)
		}
		if c.want == "unknown" && (len(f.Needs) != 1 || c.sets[0] == f.Needs[0].Path) {
			t.Errorf("%v asks for %v", c.sets, f.Needs)
		}
		if c.want == "tight" && !strings.Contains(f.Says.Text(p.Locale()), "70 mm drop") {
			t.Errorf("mount says %q", f.Says.Text(p.Locale()))
		}
	}
}

var gravel = []string{"/loads/crate/mass", "-", "/loads/crate/size", `{}`, "/loads/crate/centre", `{}`, sample.Crate + "/at/back", `0`, "/trailers/t/sideHeight", `0.3`}

// 0.2 m³ of dry gravel on a bed of 2.5 × 1.4 m: 320 kg (300 to 340) in the middle,
// x = 2.25. With 250 kg empty the rig weighs 570; the car's limit without brakes
// is 700, so 130 more and 450 in all. Dry at most 1700 kg/m³: 0.264706 m³ or
// 75.63 mm; wet at most 2000: 0.225 m³ or 64.29 mm. A heap of 1 m³: 4 and 5 trips.
func TestFill(t *testing.T) {
	p, res := checked(t, append(gravel, "/loads/crate/bulk",
		`{"material":"gravel","by":"volume","wet":"dry","volume":{"value":0.2,"plusMinus":0,"how":"weighed"},"heap":{"value":1,"how":"guessed"}}`)...)
	if len(res.Fills) != 1 {
		t.Fatalf("%d fills", len(res.Fills))
	}
	f := res.Fills[0]
	for _, c := range []struct {
		what      string
		got, want float64
	}{
		{"mass", f.Mass.Value, 320}, {"at most", *f.Mass.High, 340}, {"allowed", f.Allowed.Value, 450},
		{"dry depth", f.Dry.Depth, 0.0756303}, {"wet depth", f.Wet.Depth, 0.0642857}, {"dry trips", float64(f.Dry.Trips), 4}, {"wet trips", float64(f.Wet.Trips), 5},
		{"level, dry", *f.Level.Low, 1.05 * 1500}, {"level, wet", *f.Level.High, 1.05 * 2000},
	} {
		if math.Abs(c.got-c.want) > 1e-6*math.Max(1, c.want) {
			t.Errorf("%s: got %v, want %v", c.what, c.got, c.want)
		}
	}
	if o := sample.Find(t, res.Findings, towing.CodeFill); o.Outcome != finding.Holds || len(o.Work()) == 0 {
		t.Errorf("dry: %s", o.Outcome)
	}
	if len(towing.FillLayer(rig.Resolve(p, "t", "o"), res.Fills)) != 3 {
		t.Error("two lines and a word are drawn")
	}
	// The same volume, wetness not known: 300 to 400 kg, nominal 350. Then 0.26 m³ may be 520. Where its
	// middle is not sure either the ball may come to more than it bears, and the fill is tight with it.
	for _, c := range []struct{ bulk, want, centre string }{
		{`{"material":"gravel","by":"volume","volume":{"value":0.2,"plusMinus":0,"how":"weighed"}}`, "holds", `{"back":{"value":1.25,"plusMinus":0,"how":"weighed"}}`},
		{`{"material":"gravel","by":"volume","volume":{"value":0.2,"plusMinus":0,"how":"weighed"}}`, "tight", `{}`},
		{`{"material":"gravel","by":"volume","volume":{"value":0.24,"plusMinus":0,"how":"weighed"}}`, "tight", `{}`},
		{`{"material":"gravel","by":"level"}`, "fails", `{}`},
	} {
		p, res := checked(t, append(gravel, "/loads/crate/bulk", c.bulk, "/loads/crate/centre", c.centre)...)
		f := sample.Find(t, res.Findings, towing.CodeFill)
		if string(f.Outcome) != c.want {
			t.Errorf("%s: %s %q", c.bulk, f.Outcome, f.Says.Text(p.Locale()))
		}
	}
}

// Sold: gross 750 less 250 empty is 500 at the middle of the deck (x 2.25, L
// 2.5): the axle leaves (800 − 230)·2.5/2.25 = 633, the rest more. A spare of
// 20 kg leaves 480.
func TestSold(t *testing.T) {
	spare := `{"order":1,"name":"Spare","kind":"spare","mass":{"value":20,"plusMinus":0,"how":"weighed"},"size":{"length":{"value":0.5,"how":"weighed"}},"centre":{}}`
	p := sample.Plan(t, "/parts/spare", spare, "/trailers/t/fitted", `{"spare":{"at":{"back":-0.6}}}`)
	bare, fitted := towing.Sold(p, "t")
	if bare == nil || fitted == nil || math.Abs(bare.Value-500) > 1e-9 || math.Abs(fitted.Value-480) > 1e-9 {
		t.Errorf("bare %+v, fitted out %+v", bare, fitted)
	}
	// The fitted part counts in every outing: 0.35 m behind the ball, 0.86·20 = 17.2 kg on it.
	r := rig.Resolve(p, "t", "o")
	if m := r.Total().Nominal; math.Abs(m-670) > 1e-9 {
		t.Errorf("total %v", m)
	}
	want := 60 + 20*(2.5-(1-0.6+0.25))/2.5
	if math.Abs(r.Bears.Ball.Nominal-want) > 1e-9 {
		t.Errorf("ball %v, want %v", r.Bears.Ball.Nominal, want)
	}
	if a, b := towing.Sold(sample.Plan(t, "/trailers/t/label", "-"), "t"); a != nil || b != nil {
		t.Error("without a plate's number there is no payload as sold")
	}
	// No plate at all: bound by the least of the others, axle (800 − 230)·2.5/2.25.
	none, _ := towing.Sold(sample.Plan(t, "/trailers/t/label", "-", "/trailers/t/noPlate", `true`), "t")
	if none == nil || math.Abs(none.Value-(800-230)*2.5/2.25) > 1e-9 {
		t.Errorf("no plate: %+v", none)
	}
	q, res := checked(t, "/trailers/t/label", "-", "/trailers/t/noPlate", `true`)
	gross := sample.Find(t, res.Findings, towing.CodeLink+"gross")
	if gross.Outcome != finding.Unknown || !strings.Contains(gross.Says.Text(q.Locale()), "frame stays not known") {
		t.Errorf("no plate says %q", gross.Says.Text(q.Locale()))
	}
}

// An unclear label that is over as gross and not as load alone leaves the
// payload not known: 650 of 600 gross, 400 of 600 as load.
func TestPayloadUnclear(t *testing.T) {
	_, res := checked(t, "/trailers/t/label", `{"value":600,"counts":"unsure"}`)
	if f := sample.Find(t, res.Findings, towing.CodePayload); f.Outcome != finding.Unknown || len(f.Needs) != 1 {
		t.Errorf("%s, needs %v", f.Outcome, f.Needs)
	}
}

func TestTyreText(t *testing.T) {
	// Load index 70 is 335 kg a tyre.
	_, res := checked(t, "/trailers/t/tyreIndex", "-", "/trailers/t/tyreText", `"145/80 R13 70N"`)
	f := sample.Find(t, res.Findings, towing.CodeLink+"tyres")
	if f.Limit == nil || f.Limit.Value != 670 || f.Subject != "/trailers/t/tyreText" {
		t.Errorf("limit %+v of %s", f.Limit, f.Subject)
	}
}

// A heap on a flat deck has no sides to lean on: 1.0 m³ of wet sand on 2.5 × 1.4 m
// at 37.5° peaks at 0.7·tan 37.5° = 0.537 m with 1.4²·(3·2.5 − 1.4)/12·0.76733 =
// 0.7645 m³; the rest does not stay on.
func TestHeapedFill(t *testing.T) {
	_, res := checked(t, "/loads/crate/mass", "-", "/loads/crate/size", `{}`, "/loads/crate/centre", `{}`, sample.Crate+"/at/back", `0`,
		"/loads/crate/bulk", `{"material":"sand","by":"volume","volume":{"value":1,"plusMinus":0,"how":"weighed"},"wet":"wet"}`,
		"/trailers/t/label/value", `5000`, "/trailers/t/axleRating", `5000`, "/trailers/t/tyreRating", `5000`, "/trailers/t/tyreIndex", "-", "/trailers/t/couplingRating", `5000`,
		"/towVehicles/car/towUnbraked", `5000`, "/towVehicles/car/kerb/value", `9000`, "/towVehicles/car/gross", `20000`, "/towVehicles/car/train", `30000`,
		"/towVehicles/car/hitchTow", `5000`, "/towVehicles/car/ballRating", `5000`, "/towVehicles/car/ballLimit", `900`, "/towVehicles/car/hitchBall", `900`, "/towVehicles/car/rearLimit", `9000`)
	f := res.Fills[0]
	tan := math.Tan(37.5 * math.Pi / 180)
	most := 1.4 * 1.4 * (3*2.5 - 1.4) / 12 * tan
	if math.Abs(f.Spills-(1-most)) > 1e-9 || !f.Wet.Full || math.Abs(f.Wet.Depth-0.7*tan) > 1e-9 || math.Abs(f.Wet.Volume-most) > 1e-9 {
		t.Errorf("%+v", f)
	}
	if f.Level != nil {
		t.Error("without sides there is no level fill")
	}
	o := sample.Find(t, res.Findings, towing.CodeFill)
	if s := o.Says.Text(quantity.Locale{Units: quantity.Metric, Region: quantity.UK}); !strings.Contains(s, "0.24 m³ will not stay on") {
		t.Errorf("%q", s)
	}
}

// A loader drops 0.2 m³ at the tail, 2.0 to 2.5 m behind the headboard: there the wheels and
// the window bind; raked level the same 450 kg can go on as of TestFill, at the same depth and
// in as many trips, and a deck filled level says so too.
func TestFillOfScoops(t *testing.T) {
	heap := `"heap":{"value":1,"how":"guessed"}}`
	_, cone := checked(t, append(gravel, sample.Crate+"/at/back", `1.8`,
		"/loads/crate/bulk", `{"material":"gravel","by":"scoops","count":1,"wet":"dry","volume":{"value":0.05,"plusMinus":0,"how":"weighed"},`+heap, "/trailers/t/axleRating", `330`)...)
	_, level := checked(t, append(gravel, "/loads/crate/bulk", `{"material":"gravel","by":"volume","wet":"dry","volume":{"value":0.05,"plusMinus":0,"how":"weighed"},`+heap, "/trailers/t/axleRating", `330`)...)
	a, b := cone.Fills[0], level.Fills[0]
	if math.Abs(a.Allowed.Value-b.Allowed.Value) > 1e-9 || math.Abs(a.Wet.Depth-b.Wet.Depth) > 1e-12 || a.Wet.Trips != b.Wet.Trips {
		t.Errorf("raked %v %+v, level %v %+v", a.Allowed.Value, a.Wet, b.Allowed.Value, b.Wet)
	}
	// 100 kg of room on the axle of 230: 100·2.5/2.25 in the middle of the bed.
	if math.Abs(a.Allowed.Value-100*2.5/2.25) > 1e-9 {
		t.Errorf("allowed %v", a.Allowed.Value)
	}
	if f := sample.Find(t, cone.Findings, towing.CodeFill); f.Limit.Value >= a.Allowed.Value || !strings.Contains(f.Says.Text(quantity.Locale{Units: quantity.Metric, Region: quantity.UK}), "Raked level, 111 kg can go on") {
		t.Errorf("%v %q", f.Limit.Value, f.Says.Text(quantity.Locale{Units: quantity.Metric, Region: quantity.UK}))
	}
}

// Nothing is left: it says so and does not divide by zero.
func TestFillWithoutRoom(t *testing.T) {
	p, res := checked(t, append(gravel, "/loads/crate/bulk", `{"material":"gravel","by":"volume","volume":{"value":0.2,"how":"weighed"},"heap":{"value":1,"how":"guessed"}}`, "/trailers/t/label/value", `200`)...)
	f := sample.Find(t, res.Findings, towing.CodeFill)
	if f.Outcome != finding.Fails || !strings.Contains(f.Says.Text(p.Locale()), "No room for Crate") || res.Fills[0].Wet.Trips != 0 {
		t.Errorf("%s %q %+v", f.Outcome, f.Says.Text(p.Locale()), res.Fills[0])
	}
}

// Without the trailer's own rating how much can go on is not known, only bounded;
// with another essential rating open it says so.
func TestFillNotKnown(t *testing.T) {
	bulk := `{"material":"gravel","by":"volume","wet":"dry","volume":{"value":0.2,"plusMinus":0,"how":"weighed"}}`
	p, res := checked(t, append(gravel, "/loads/crate/bulk", bulk, "/trailers/t/label", "-")...)
	f := sample.Find(t, res.Findings, towing.CodeFill)
	if f.Outcome != finding.Unknown || len(f.Needs) != 1 || !strings.Contains(f.Says.Text(p.Locale()), "limit it to 450 kg") {
		t.Errorf("%s %q", f.Outcome, f.Says.Text(p.Locale()))
	}
	p, res = checked(t, append(gravel, "/loads/crate/bulk", bulk, "/trailers/t/axleRating", "-")...)
	f = sample.Find(t, res.Findings, towing.CodeFill)
	if f.Outcome != finding.Holds || !strings.Contains(f.Says.Text(p.Locale()), "may allow less") || !res.Fills[0].Open {
		t.Errorf("%s %q", f.Outcome, f.Says.Text(p.Locale()))
	}
}

// 750 with 250 empty and 400 on it: as gross 500 of load, as load alone 750.
func TestLabelReadings(t *testing.T) {
	for _, c := range []struct {
		counts              string
		value               string
		gross, load         bool // meant
		left                float64
		grossOver, loadOver bool
	}{{`"gross"`, `750`, true, false, 500, false, false}, {`"unsure"`, `600`, true, true, 350, true, false}, {`"payload"`, `390`, false, true, 140, true, true}} {
		p := sample.Plan(t, "/trailers/t/label/counts", c.counts, "/trailers/t/label/value", c.value)
		got := towing.LabelReadings(rig.Resolve(p, "t", "o"))
		if len(got) != 2 || got[0].Meant != c.gross || got[1].Meant != c.load || math.Abs(got[0].Left-c.left) > 1e-9 || got[0].Over != c.grossOver || got[1].Over != c.loadOver || got[0].Own != 250 || got[0].Load != 400 {
			t.Errorf("%s: %+v", c.counts, got)
		}
	}
	if got := towing.LabelReadings(rig.Resolve(sample.Plan(t, "/trailers/t/label", "-"), "t", "o")); got != nil {
		t.Errorf("no label, and %+v", got)
	}
}
