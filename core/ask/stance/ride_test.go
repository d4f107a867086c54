package stance_test

import (
	"math"
	"strings"
	"testing"
	"zygonos/core/lang/finding"

	"zygonos/core/ask/stance"
	"zygonos/core/internal/sample"
	"zygonos/core/rig"
)

const degree = math.Pi / 180

// Worked by hand (docs/method/stance.md).
func TestRideSums(t *testing.T) {
	// A point 1.2 m behind a wheel of 0.3 m radius, 0.4 m up: arctan(0.1/1.2) 4.7636° +
	// arcsin(0.3/1.204159) 14.4265°.
	near(t, "departure", stance.Departure(1.2, 0.4, 0.3)/degree, 19.1900587)
	// It is the tangent: seen along it, wheel and point lie on one line.
	a := stance.Departure(1.2, 0.4, 0.3)
	near(t, "tangent", -1.2*math.Sin(a)+0.4*math.Cos(a), 0.3*math.Cos(a)-0.3)
	// 0.3 m up, 1.1 m behind the car's wheel and 2.85 m before the trailer's: 15.2551° + 6.0090°.
	near(t, "breakover", stance.Breakover(0.3, 1.1, 2.85)/degree, 21.2641247)
	// (0.48 − 0.43)/2.5 = 0.02.
	near(t, "pitch", stance.Pitch(0.48, 0.45, 0.02, 2.5), math.Atan(0.02))
	// 0.8^(1/0.8) = 0.756594, 0.8^(1/0.7) = 0.727038; half the load meets the floor.
	near(t, "car tyre", stance.TyrePressure(300e3, 400, 500, 0.8), 226977.986)
	near(t, "trailer tyre", stance.TyrePressure(300e3, 400, 500, 0.7), 218111.407)
	near(t, "floor", stance.TyrePressure(300e3, 250, 500, 0.8), 180e3)
	near(t, "overload", stance.TyrePressure(300e3, 600, 500, 0.8), 300e3)
	// 60·0.980581 ∓ 650·0.196116·0.45/2.5.
	near(t, "uphill", stance.HillLoad(60, 650, 0.9, 0.45, 2.5, math.Atan(0.2)), 35.889251)
	near(t, "downhill", stance.HillLoad(60, 650, 0.9, 0.45, 2.5, -math.Atan(0.2)), 81.780432)
}

var sits = []string{
	"/trailers/t/deckHeight", `{"value":0.6,"how":"weighed"}`, "/trailers/t/couplingHeight", `0.45`, "/towVehicles/car/ballHeight", `0.45`,
	"/trailers/t/sinks", `0.04`, "/trailers/t/travel", `0.06`, "/trailers/t/wheelRoom", `0.09`, "/trailers/t/tyrePressure", `300000`, "/trailers/t/wheelDiameter", `0.6`,
}

// Springs sink 40 mm at 800 kg. Empty 230 kg stand on the axle, now 590: 18 mm
// lower, so the coupling rides 18 mm under the ball: 18/2500.
func TestSits(t *testing.T) {
	p := sample.Plan(t, sits...)
	r := rig.Resolve(p, "t", "o")
	sink, ok := stance.Sink(r)
	if !ok {
		t.Fatal("no sink")
	}
	near(t, "sink", sink, 0.018)
	fs := stance.Check(r)
	near(t, "level", sample.Find(t, fs, stance.CodeLevel).Figure.Value, math.Atan(0.018/2.5))
	near(t, "wheel room", sample.Find(t, fs, stance.CodeWheel).Figure.Value, 0.03)
	// 295 kg on each wheel of 500 kg (load index 84): 0.59^1.25 = 0.517 and under the floor.
	near(t, "pressure", sample.Find(t, fs, stance.CodePressure).Figure.Value, 180e3)
	// The tail 1.0 m behind the axle, 0.6 − 0.12 − 0.018 − 1.0·0.018/2.5 = 0.4548 up as it rides
	// nose up, wheel 0.3; the coupling at 0.45 − 0.12 = 0.33, 1.0 m behind the car's wheel and 2.5
	// before the trailer's: arctan(0.1548) + arcsin(0.3/1.01191) = 8.7997° + 17.2454° = 26.045°;
	// 18.2629° + 7.5196°.
	f := sample.Find(t, fs, stance.CodeAngles)
	near(t, "angles", f.Figure.Value/degree, 25.7824603)
	if s := f.Says.Text(p.Locale()); !strings.Contains(s, "steeper than 26°") || !strings.Contains(s, "455 mm up, 415 mm with") {
		t.Errorf("%q", s)
	}
	// The ball 150 mm higher: the tail 60 mm lower yet, 0.3948 up: 5.4158° + 17.3397°.
	high := sample.Find(t, stance.Check(rig.Resolve(sample.Plan(t, append(sits, "/towVehicles/car/ballHeight", `0.6`)...), "t", "o")), stance.CodeAngles)
	if s := high.Says.Text(p.Locale()); !strings.Contains(s, "steeper than 22.8°") || !strings.Contains(s, "395 mm up") {
		t.Errorf("%q", s)
	}
	for _, c := range []struct {
		code, want, says string
		sets             []string
	}{
		{stance.CodeLevel, "tight", "With the ball at 432 mm it rides level", []string{"/towVehicles/car/ballHeight", `0.55`}},
		{stance.CodeLevel, "tight", "nose down", []string{"/towVehicles/car/ballHeight", `0.35`}},
		{stance.CodeLevel, "holds", "springs are not counted", []string{"/trailers/t/sinks", `-`}},
		{stance.CodeWheel, "fails", "20 mm into", []string{"/trailers/t/travel", `0.11`}},
		{stance.CodeWheel, "fails", "Laden, the tyre touches", []string{"/trailers/t/sinks", `0.3`}},
		{stance.CodeWheel, "tight", "Only 5 mm", []string{"/trailers/t/travel", `0.085`}},
		{stance.CodeAngles, "tight", "", []string{"/trailers/t/deckLength/value", `5.5`, "/trailers/t/deckHeight/value", `0.4`}},
	} {
		p := sample.Plan(t, append(append([]string{}, sits...), c.sets...)...)
		f := sample.Find(t, stance.Check(rig.Resolve(p, "t", "o")), c.code)
		if string(f.Outcome) != c.want || !strings.Contains(f.Says.Text(p.Locale()), c.says) {
			t.Errorf("%s: %s %q", c.code, f.Outcome, f.Says.Text(p.Locale()))
		}
	}
}

func TestSitsTandem(t *testing.T) {
	two := append([]string{"/trailers/t/axles", `2`, "/trailers/t/suspension", `"torsion"`, "/trailers/t/axleGap", `0.8`}, sits...)
	f := sample.Find(t, stance.Check(rig.Resolve(sample.Plan(t, two...), "t", "o")), stance.CodeTandem)
	// The ball 18 mm over level, 10 000 kg/m an axle, at 2.1 and 2.9 m, moment 1475: 295 ± …:
	// Σx 5, Σx² 12.82: front 295 − 180·(1 − 10.5/12.82) = 262.43, rear 295 + 180·(14.5/12.82 − 1) = 318.59.
	near(t, "the heavier axle", f.Figure.Value, 318.5881435)
	if f.Outcome != "holds" || len(f.Work()) == 0 {
		t.Errorf("%+v", f)
	}
	// All read the one equilibrium: 650 − 262.43 − 318.59 on the ball; ±10 mm of two tapes
	// is ±100·(2 − 25/12.82) = 4.99 kg.
	r := rig.Resolve(sample.Plan(t, two...), "t", "o")
	near(t, "ball", r.Bears.Ball.Nominal, 68.985959)
	// The crate's place within 10 mm: 1.6 kg, and 0.08 mm more or less of sinking, 0.04 kg.
	near(t, "ball at most", r.Bears.Ball.High-r.Bears.Ball.Nominal, 4.992200+1.6+0.0399376)
	near(t, "axles", r.Group.Axles[0].Nominal+r.Group.Axles[1].Nominal, r.Bears.OnAxle.Nominal)
	high := append(two, "/towVehicles/car/ballHeight", `0.65`)
	if f := sample.Find(t, stance.Check(rig.Resolve(sample.Plan(t, high...), "t", "o")), stance.CodeTandem); f.Outcome != "fails" {
		t.Errorf("%s %+v", f.Outcome, f.Figure)
	}
	if f := sample.Find(t, stance.Check(rig.Resolve(sample.Plan(t, append(two, "/trailers/t/sinks", "-")...), "t", "o")), stance.CodeTandem); f.Outcome != "unknown" || len(f.Needs) != 1 {
		t.Errorf("%+v", f)
	}
	leaf := append(two, "/trailers/t/suspension", `"leaf"`) // on an equaliser
	for _, f := range stance.Check(rig.Resolve(sample.Plan(t, leaf...), "t", "o")) {
		if f.Code == stance.CodeTandem {
			t.Error("an equaliser shares by itself")
		}
	}
}

// Heights, springs and wheels of which nothing is stated leave their checks out; none of them
// is a silent zero.
func TestSitsUnknown(t *testing.T) {
	for code, missing := range map[string]string{
		stance.CodeLevel:    "/trailers/t/couplingHeight",
		stance.CodePressure: "/trailers/t/tyrePressure", stance.CodeAngles: "/trailers/t/deckHeight",
	} {
		for _, f := range stance.Check(rig.Resolve(sample.Plan(t, append(append([]string{}, sits...), missing, "-")...), "t", "o")) {
			if f.Code == code {
				t.Errorf("without %s: %s", missing, f.Code)
			}
		}
	}
	// Half stated asks for the other half.
	for _, gone := range []string{"travel", "wheelRoom"} {
		r := rig.Resolve(sample.Plan(t, append(append([]string{}, sits...), "/trailers/t/"+gone, "-")...), "t", "o")
		if f := sample.Find(t, stance.Check(r), stance.CodeWheel); f.Outcome != finding.Unknown || len(f.Needs) != 1 || f.Needs[0].Path != "/trailers/t/"+gone {
			t.Errorf("without %s: %s %v", gone, f.Outcome, f.Needs)
		}
	}
}
