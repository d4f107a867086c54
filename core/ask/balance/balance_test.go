package balance_test

import (
	"math"
	"strings"
	"testing"

	"zygonos/core/ask/balance"
	"zygonos/core/internal/sample"
	"zygonos/core/lang/finding"
	"zygonos/core/lang/scene"
	"zygonos/core/rig"
)

func near(t *testing.T, what string, got, want float64) {
	t.Helper()
	if math.Abs(got-want) > 1e-6*math.Max(1, math.Abs(want)) {
		t.Errorf("%s: got %.9g, want %.9g", what, got, want)
	}
}

func check(t *testing.T, sets ...string) (balance.Result, *rig.Rig) {
	t.Helper()
	r := rig.Resolve(sample.Plan(t, sets...), "t", "o")
	return balance.Check(r), r
}

const (
	school    = "/ballSchool"
	crateMass = "/loads/crate/mass"
	crateBack = sample.Crate + "/at/back"
)

// Outcomes around each edge of the window. The sample weighs 650 kg; moving
// the crate by d metres changes the ball load by −160·d kg.
func TestBallWindow(t *testing.T) {
	for _, c := range []struct {
		name    string
		sets    []string
		outcome finding.Outcome
		tight   finding.Tightness
		says    string
	}{
		{"inside 5 to 15 %", nil, finding.Holds, "", "Noseweight 60 kg, 9.2 %: inside the window of 5 % to 15 %."},
		{"under 10 to 15 %", []string{school, `"ten-fifteen"`}, finding.Fails, "", "Noseweight 60 kg, 9.2 %: below the window of 10 % to 15 %. Move weight forward."},
		// 60 kg of the 75 that the car bears: heavier than is usual, and no limit is broken
		{"over 5 to 7 %, under the limit", []string{school, `"five-seven"`}, finding.Tight, finding.LittleRoom, "Noseweight 60 kg, 9.2 %: above the usual 5 % to 7 %, within its limit of 75 kg. Move weight back."},
		{"over 5 to 7 %, at the limit", []string{school, `"five-seven"`, "/towVehicles/car/ballLimit", `60`}, finding.Tight, finding.LittleRoom, "Noseweight 60 kg, 9.2 %: above the usual 5 % to 7 %, within its limit of 60 kg. Move weight back."},
		{"over 5 to 7 % and the limit", []string{school, `"five-seven"`, "/towVehicles/car/ballLimit", `59`}, finding.Fails, "", "Noseweight 60 kg, 9.2 %: above the window of 5 % to 7 %. Move weight back."},
		{"over 5 to 7 %, no limit known", []string{school, `"five-seven"`, "/towVehicles/car/ballLimit", "-", "/towVehicles/car/hitchBall", "-"}, finding.Fails, "", "Noseweight 60 kg, 9.2 %: above the window of 5 % to 7 %. Move weight back."},
		// 60 − 160·0.155 = 35.2 kg, 5.42 %: inside by less than a twentieth of the window's ten
		// points, and placing it within 10 mm (1.6 kg) does not take it out.
		{"just inside below", []string{crateBack, `0.905`}, finding.Tight, finding.LittleRoom, "Noseweight 35 kg, 5.4 %: just inside the window of 5 % to 15 %."},
		// 60 − 160·0.165 = 33.6 kg, 5.17 %: placing it within 10 mm may take it out.
		{"placing decides", []string{crateBack, `0.915`}, finding.Tight, finding.GuessTooRough, "Noseweight 34 kg, 5.2 %, but the guesses allow 4.9 % to 5.4 %. Next: find where the weight of Crate lies: weigh both its ends."},
		// the crate's middle within 0.25 m and its place within 10 mm, ±41.6 kg: 18.4 to 101.6 of 650
		{"over 5 to 7 %, and it may be under", []string{school, `"five-seven"`, "/loads/crate/centre/back", `{"value":0.5,"plusMinus":0.25,"how":"guessed"}`}, finding.Tight, finding.GuessTooRough,
			"Noseweight 60 kg, 9.2 %: above the usual 5 % to 7 %, but the guesses allow 2.8 % to 15.6 %. Next: find where the weight of Crate lies: weigh both its ends."},
		// 60 − 160·0.4 = −4 kg
		{"lifts the car", []string{crateBack, `1.15`}, finding.Fails, "", "Noseweight −4 kg: the trailer will sway and lift the car's tail. Move weight forward."},
		// 60 + 160·0.24 = 98.4 kg, 15.14 %
		{"over 15 %", []string{crateBack, `0.51`}, finding.Fails, "", "Noseweight 98 kg, 15.1 %: above the window of 5 % to 15 %. Move weight back."},
		// A crate of 400 ± 60 kg: nothing crosses.
		{"doubt inside", []string{crateMass, `{"value":400,"plusMinus":60,"how":"guessed"}`}, finding.Holds, "", "Noseweight 60 kg, 9.2 %: inside the window of 5 % to 15 %."},
	} {
		got, _ := check(t, c.sets...)
		f := sample.Find(t, got.Findings, balance.CodeWindow)
		if f.Outcome != c.outcome || f.Tight != c.tight {
			t.Errorf("%s: got %s %s", c.name, f.Outcome, f.Tight)
		}
		if c.name == "inside 5 to 15 %" || c.says != "" {
			if text := f.Says.Text(sample.Plan(t).Locale()); text != c.says {
				t.Errorf("%s: says %q", c.name, text)
			}
		}
	}
}

// A rough guess: the crate's centre within ±0.25 m moves the ball load by
// ±40 kg, and the share crosses both ends. The sentence says what to find.
func TestGuessTooRough(t *testing.T) {
	got, r := check(t, "/loads/crate/centre/back", `{"value":0.5,"plusMinus":0.25,"how":"guessed"}`)
	f := sample.Find(t, got.Findings, balance.CodeWindow)
	if f.Outcome != finding.Tight || f.Tight != finding.GuessTooRough {
		t.Fatalf("got %s %s", f.Outcome, f.Tight)
	}
	// ±0.25 m and the ±10 mm of placing it, on the ball (2.5 − 1.99)/2.5·400 = 81.6 and so on
	near(t, "least", r.Bears.Ball.Low, 20+400*(2.5-2.25-0.26)/2.5)
	near(t, "greatest", r.Bears.Ball.High, 20+400*(2.5-2.25+0.26)/2.5)
	if text := f.Says.Text(sample.Plan(t).Locale()); !strings.Contains(text, "find where the weight of Crate lies") {
		t.Errorf("says %q", text)
	}
	// 4 to 7 %, or 25 kg, with a light crate aft: the break-even is named.
	// Ball 20 + m·(2.5 − 2.4)/2.5 = 20 + 0.04 m against 0.05·(250 + m): m = 750 is over; at 5 to 7 %:
	// (20 + 0.04 m)/(250 + m) = 0.05 → m = 7.5/0.01 = 750.
	got, _ = check(t, school, `"five-seven"`, crateBack, `0.9`, crateMass, `{"value":600,"plusMinus":300,"how":"guessed"}`)
	f = sample.Find(t, got.Findings, balance.CodeWindow)
	if text := f.Says.Text(sample.Plan(t).Locale()); !strings.Contains(text, "Weigh Crate first: in the window while it is under 750 kg.") {
		t.Errorf("says %q", text)
	}
}

// "At least 4 % of the mass, of which 25 kg is always enough": 25 kg is no
// floor for a light trailer, and no heavier one needs more.
func TestFourSevenFloor(t *testing.T) {
	// 1 200 kg in all, ball 20 + 950·0.02/2.5… crate at 2.48 m: 20 + 950·0.008 = 27.6 kg, 2.3 %.
	got, _ := check(t, school, `"four-seven"`, "/loads/crate/mass/value", `950`, crateBack, `0.98`)
	if f := sample.Find(t, got.Findings, balance.CodeWindow); f.Outcome == finding.Fails {
		t.Errorf("27.6 kg is over 25 kg and enough: %s", f.Says.Text(sample.Plan(t).Locale()))
	}
	near(t, "low end", got.Window.Low, 25)
	// Empty: 20 kg of 250 is 8 %: over 7 %; the low end is 10 kg, not 25.
	got, _ = check(t, school, `"four-seven"`, sample.Crate, "-")
	near(t, "low end of a light trailer", got.Window.Low, 10)
}

// The lowest cap ends the window; where it lies below the window's beginning
// that is stated.
func TestCappedWindow(t *testing.T) {
	got, _ := check(t)
	near(t, "high", got.Window.High, 75) // the car's 75 kg under 97.5 kg
	if got.Window.Capped != "/towVehicles/car/ballLimit" {
		t.Errorf("capped by %q", got.Window.Capped)
	}
	got, _ = check(t, school, `"ten-fifteen"`, "/towVehicles/car/ballLimit", `50`)
	f := sample.Find(t, got.Findings, balance.CodeWindow)
	want := "No noseweight fits: this trailer needs 65 kg or more, and the lowest limit is 50 kg. Carry less, or fit a hitch rated for it."
	if text := f.Says.Text(sample.Plan(t).Locale()); f.Outcome != finding.Fails || text != want {
		t.Errorf("got %s %q", f.Outcome, text)
	}
}

func TestUnknown(t *testing.T) {
	got, _ := check(t, "/loads/crate/mass", "-", "/loads/crate/kind", "-")
	f := sample.Find(t, got.Findings, balance.CodeWindow)
	if f.Outcome != finding.Unknown || len(f.Needs) != 1 || f.Needs[0].Path != crateMass {
		t.Errorf("got %s, needs %v", f.Outcome, f.Needs)
	}
	if got.Window != nil || f.Figure != nil {
		t.Error("a figure was given without the crate's weight")
	}
}

// 400 kg at y: each wheel changes by 400·y/1.6. At 0.2 m the right wheel bears
// 345 kg and the left 245: a difference of 100/590 = 16.9 %.
func TestSides(t *testing.T) {
	got, r := check(t, sample.Crate+"/at/right", `0.2`)
	near(t, "right", r.Bears.Right.Nominal, 345)
	near(t, "left", r.Bears.Left.Nominal, 245)
	f := sample.Find(t, got.Findings, balance.CodeSides)
	near(t, "difference", f.Figure.Value, 100.0/590)
	if f.Outcome != finding.Tight {
		t.Errorf("got %s", f.Outcome)
	}
	if got, _ := check(t, sample.Crate+"/at/right", `-1.3`); sample.Find(t, got.Findings, balance.CodeSides).Outcome != finding.Fails {
		t.Error("a lifted wheel holds")
	}
	if got, _ := check(t, "/trailers/t/track", "-"); sample.Find(t, got.Findings, balance.CodeSides).Outcome != finding.Unknown {
		t.Error("without a track left and right are known")
	}
}

func TestOffDeck(t *testing.T) {
	for _, c := range []struct {
		sets []string
		off  bool
	}{
		{nil, false},
		{[]string{crateBack, `2.1`}, true},                  // its middle at 3.6 m, the deck ends at 3.5 m
		{[]string{crateBack, `-0.4`}, false},                // overhangs, but its weight is over the deck
		{[]string{sample.Crate + "/at/right", `0.8`}, true}, // beside it
	} {
		got, _ := check(t, c.sets...)
		off := false
		for _, f := range got.Findings {
			off = off || f.Code == balance.CodeOffDeck
		}
		if off != c.off {
			t.Errorf("%v: off the deck is %v", c.sets, off)
		}
	}
}

func TestReadings(t *testing.T) {
	path := "/outings/o/layouts/t/readings"
	for _, c := range []struct {
		reading string
		want    finding.Outcome
	}{
		{`{"order":1,"what":"ball","mass":60}`, finding.Holds},
		{`{"order":1,"what":"ball","mass":40}`, finding.Fails},
		{`{"order":1,"what":"ball","mass":72,"at":0.41666667}`, finding.Holds}, // 60·2.5/2.0833…
		{`{"order":1,"what":"axle","mass":592}`, finding.Holds},
		{`{"order":1,"what":"whole","mass":700,"plusMinus":5}`, finding.Fails},
	} {
		got, _ := check(t, path, `{"r":`+c.reading+`}`)
		if f := sample.Find(t, got.Findings, balance.CodeReading); f.Outcome != c.want {
			t.Errorf("%s: got %s: %s", c.reading, f.Outcome, f.Says.Text(sample.Plan(t).Locale()))
		}
	}
}

// The working ends with the figure that the finding shows.
func TestWorking(t *testing.T) {
	got, r := check(t)
	f := sample.Find(t, got.Findings, balance.CodeWindow)
	steps := f.Work()
	if len(steps) != 5 {
		t.Fatalf("%d steps", len(steps))
	}
	near(t, "mass", steps[0].Result.Value, 650)
	near(t, "axle", steps[1].Result.Value, 590)
	near(t, "ball", steps[2].Result.Value, r.Bears.Ball.Nominal)
	near(t, "share", steps[3].Result.Value, 60.0/650)
	for _, s := range steps {
		for _, term := range s.Terms {
			if term.Measure == nil || term.How == "" {
				t.Errorf("%s: %s comes from nowhere", s.Symbol, term.Symbol)
			}
		}
	}
}

// The beam draws every mass at its place and the reactions under it.
func TestBeam(t *testing.T) {
	got, r := check(t)
	v := balance.Beam(r, got.Window)
	seen := map[string]int{}
	for _, s := range v.Shapes {
		seen[s.Class]++
		for _, p := range s.Points {
			if math.IsNaN(p[0]) || math.IsNaN(p[1]) {
				t.Errorf("%s has no place", s.Class)
			}
		}
		if s.Class == "press" && math.Abs(s.Points[0][0]-2.25) > 1e-9 {
			t.Errorf("the crate presses at %v", s.Points[0])
		}
	}
	if seen["press"] != 1 || seen["reaction"] != 2 || seen["window"] != 1 {
		t.Errorf("drawn: %v", seen)
	}
	side := r.Views()[0]
	if v.Min[0] != side.Min[0] || v.Max[0] != side.Max[0] {
		t.Error("the beam does not lie under the side view")
	}
	var _ scene.View = v
}

// A tank of 1.2 × 0.9 × 1.0 m half full of water, 540 l: the centre moves
// 0.3·1.2²/(12·0.5) = 72 mm, and 539.19 kg·0.072/2.5 = 15.5 kg come onto the ball.
func TestSurge(t *testing.T) {
	tank := []string{"/loads/crate/tank", `{"fluid":"water","fill":0.5,"capacity":{"value":1.08,"plusMinus":0,"how":"plate"}}`, "/loads/crate/mass/value", `30`,
		"/loads/crate/size", `{"length":{"value":1.2,"how":"weighed"},"width":{"value":0.9,"how":"weighed"},"height":{"value":1,"how":"weighed"}}`}
	p := sample.Plan(t, tank...)
	f := sample.Find(t, balance.Check(rig.Resolve(p, "t", "o")).Findings, balance.CodeSurge)
	if math.Abs(f.Figure.Value-0.072) > 1e-9 {
		t.Errorf("shift %v", f.Figure.Value)
	}
	more := f.Work()[1].Result.Value
	if math.Abs(more-539.19*0.072/2.5) > 1e-6 {
		t.Errorf("on the ball %v", more)
	}
	for _, f := range balance.Check(rig.Resolve(sample.Plan(t, append(tank, "/loads/crate/tank/fill", `1`)...), "t", "o")).Findings {
		if f.Code == balance.CodeSurge {
			t.Error("a full tank has no free surface")
		}
	}
}

// 0.84 m³ in a bed of 2.0 × 1.4 m: 0.3 m deep, surface ±0.268 m at 15°, within sides of
// 0.6: Δx = tan 15°·2²/(12·0.3) = 0.297721 m; of 1000 kg that is 119.09 kg off the ball
// at L = 2.5.
func TestHeapSettles(t *testing.T) {
	p := sample.Plan(t, "/trailers/t/sideHeight", `0.6`, "/loads/crate/kind", `"heap"`, "/loads/crate/mass", `{"value":1000,"how":"weighed"}`,
		"/loads/crate/size", `{"length":{"value":2,"how":"weighed"},"height":{"value":0.6,"how":"weighed"}}`,
		"/loads/crate/bulk", `{"material":"sand","by":"volume","volume":{"value":0.84,"how":"plate"}}`, sample.Crate+"/at/back", `0.25`)
	f := sample.Find(t, balance.Check(rig.Resolve(p, "t", "o")).Findings, balance.CodeSettle)
	if math.Abs(f.Figure.Value-0.297721) > 1e-5 {
		t.Errorf("shift %v", f.Figure.Value)
	}
	r := rig.Resolve(p, "t", "o")
	if less := f.Work()[1].Result.Value; math.Abs(less-r.Items[0].Mass.Nominal*0.297721/2.5) > 0.01 {
		t.Errorf("off the ball %v", less)
	}
}

// A second crate of 100 kg behind the axle, x = 3.25 m, may stay at home. Full:
// 20 + 400·0.25/2.5 − 100·0.75/2.5 = 30 kg of 750, 4 %: under 5 %. Without it 60 of
// 650, 9.2 %. Where the first one may stay at home: 20 − 30 = −10 kg of 350.
func TestStates(t *testing.T) {
	second := []string{"/loads/second", `{"order":2,"name":"Second","mass":{"value":100,"plusMinus":0,"how":"weighed"},"size":{"length":{"value":0.5,"plusMinus":0,"how":"weighed"}},"centre":{"back":{"value":0.25,"plusMinus":0,"how":"weighed"}}}`}
	at := "/outings/o/layouts/t/placements/second"
	for _, c := range []struct {
		placements []string
		want, says string
	}{
		// 60 kg at x = 2.75 stays: full 20 + 40 − 10 = 50 of 750, 6.7 %.
		{[]string{at, `{"on":"deck","at":{"back":1.5}}`, sample.Crate + "/optional", `true`}, "fails", "Without Crate it is 2.9 %: below the window of 5 % to 15 %"}, // 10 of 350
		{[]string{at, `{"on":"deck","at":{"back":1.5},"optional":true}`}, "holds", "inside"},
		{[]string{at, `{"on":"deck","at":{"back":2.0},"optional":true}`}, "fails", "Noseweight 30 kg, 4 %: below"},
		// At x = 0.25 behind the board it adds 100·1.25/2.5 = 50: full 110 of 750, 14.7 %.
		{[]string{at, `{"on":"deck","at":{"back":0}}`, sample.Crate + "/optional", `true`, "/towVehicles/car/ballLimit", `200`, "/towVehicles/car/hitchBall", `200`}, "tight", "Without Crate it is 20 %: above"}, // 70 of 350
		// Heavy when full, 20 + 400·0.6/2.5 − 30 = 86 kg of 750, hides no state that is too light: without the crate −10 of 350.
		{[]string{at, `{"on":"deck","at":{"back":2.0}}`, sample.Crate + "/optional", `true`, sample.Crate + "/at/back", `0.4`, school, `"five-seven"`,
			"/towVehicles/car/ballLimit", `200`, "/towVehicles/car/hitchBall", `200`}, "fails", "Full, the noseweight is 11.5 %. Without Crate it is −2.9 %: below"},
		// nor one over a limit: 86 kg when full of the 90 allowed, 20 + 96 = 116 without the second
		{[]string{at, `{"on":"deck","at":{"back":2.0},"optional":true}`, sample.Crate + "/at/back", `0.4`, school, `"five-seven"`,
			"/towVehicles/car/ballLimit", `90`, "/towVehicles/car/hitchBall", `200`}, "fails", "Without Second it is 17.8 %: above"},
		// 110 kg when full are the most of any state: over a limit of 109
		{[]string{at, `{"on":"deck","at":{"back":0}}`, sample.Crate + "/optional", `true`, "/towVehicles/car/ballLimit", `109`, "/towVehicles/car/hitchBall", `200`}, "fails", "Without Crate it is 20 %: above"},
	} {
		p := sample.Plan(t, append(append([]string{}, second...), c.placements...)...)
		f := sample.Find(t, balance.Check(rig.Resolve(p, "t", "o")).Findings, balance.CodeWindow)
		if string(f.Outcome) != c.want || !strings.Contains(f.Says.Text(p.Locale()), c.says) {
			t.Errorf("%v: %s %q", c.placements, f.Outcome, f.Says.Text(p.Locale()))
		}
	}
}
