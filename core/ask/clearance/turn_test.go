package clearance_test

import (
	"math"
	"strings"
	"testing"

	"zygonos/core/ask/clearance"
	"zygonos/core/internal/sample"
	"zygonos/core/rig"
)

const degree = math.Pi / 180

// The corner (x, y) of a deck turns on a circle of radius √(x² + y²) and meets a
// wide bumper b before the ball where x·cos φ − y·sin φ = −b:
// φ = arccos(−b/R) − arctan(y/x). Deck corner (1.0, 0.7), b 0.15: R 1.22066,
// arccos(−0.122885) = 97.0586°, less 34.9920° = 62.0666°. There it is
// 1.0·sin φ + 0.7·cos φ = 1.21 m aside: beyond a car 1.8 m wide, so the car's own
// corner meets the deck's front later. With a car 4 m wide the angle is as worked.
func TestFirstTouch(t *testing.T) {
	deck := []clearance.Block{{Front: 1, Rear: 3.5, Left: -0.7, Right: 0.7, Name: "deck"}}
	wide := []clearance.Block{{Front: -3, Rear: -0.15, Left: -2, Right: 2, Name: "bumper"}}
	want := math.Acos(-0.15/math.Hypot(1, 0.7)) - math.Atan2(0.7, 1)
	for _, sign := range []float64{-1, 1} {
		if got := clearance.FirstTouch(deck, wide, sign); math.Abs(got.Angle-want) > 1e-6 || got.By != "deck" || got.On != "bumper" {
			t.Errorf("%+v, want %v", got, want/degree)
		}
	}
	if math.Abs(want/degree-62.0666) > 1e-3 {
		t.Errorf("worked by hand it is 62.0666°, not %v", want/degree)
	}
	// A narrow car's corner (−0.15, 0.9) meets the deck's front line, 1 m from the ball:
	// its distance ahead along the turned axis is −0.15·cos φ + 0.9·sin φ = 1 at no angle
	// (R 0.9124): nothing of the front line; the deck's side is reached later or never.
	narrow := []clearance.Block{{Front: -3, Rear: -0.15, Left: -0.9, Right: 0.9, Name: "bumper"}}
	if got := clearance.FirstTouch(deck, narrow, 1); got.Angle < 95*degree {
		t.Errorf("a narrow car is met at %v°", got.Angle/degree)
	}
	// A front board 0.8 m behind the ball: −0.15·cos φ + 0.9·sin φ = 0.8 at
	// φ = arcsin(0.8/0.912414) + arctan(0.15/0.9) = 61.2585 + 9.4623 = 70.72°.
	near := []clearance.Block{{Front: 0.8, Rear: 3.5, Left: -0.7, Right: 0.7, Name: "deck"}}
	want = math.Asin(0.8/math.Hypot(0.15, 0.9)) + math.Atan2(0.15, 0.9)
	got := clearance.FirstTouch(near, narrow, 1)
	corner := math.Acos(-0.15/math.Hypot(0.8, 0.7)) - math.Atan2(0.7, 0.8)
	aside := 0.8*math.Sin(corner) + 0.7*math.Cos(corner)
	if aside <= 0.9 {
		t.Errorf("the deck's corner passes the car %v m aside, not beyond its 0.9", aside)
	}
	if math.Abs(got.Angle-want) > 1e-6 {
		t.Errorf("got %v°, want %v°", got.Angle/degree, want/degree)
	}
}

func TestTurn(t *testing.T) {
	for _, c := range []struct {
		want, says string
		sets       []string
	}{
		{"holds", "Turns to 97.5°, then the deck's corner touches the car", []string{"/trailers/t/drawbar", `{"beams":1}`}},
		// Arms from (0.1, 0) to (1, 0.56) rise at 31.89° and pass the ball at 0.0528 m; the car's
		// corner lies at 0.9124 m, 99.46°: 99.46 − 31.89 + arcsin(0.0528/0.9124) = 70.89°.
		{"tight", "At 70.9° the drawbar touches the car", []string{"/trailers/t/drawbar", `{"beams":2}`}},
		{"unknown", "an A-frame drawbar touches the car at 70.9°", nil},
		// A long box that reaches 0.4 m before the front board.
		{"tight", "longer lets it turn", []string{sample.Crate + "/at/back", `-0.6`}},
		{"tight", "open tailgate", []string{"/towVehicles/car/gateReach", `1.0`, "/towVehicles/car/ballBehind", `0.15`}},
		// A tailgate higher than the crate's 1.25 m is passed under.
		{"holds", "Turns to 97.5°", []string{"/towVehicles/car/gateReach", `1.0`, "/towVehicles/car/gateHeight", `1.4`, "/trailers/t/drawbar", `{"beams":1}`}},
	} {
		p := sample.Plan(t, c.sets...)
		_, fs := clearance.Check(rig.Resolve(p, "t", "o"))
		f := sample.Find(t, fs, clearance.CodeTurn)
		if string(f.Outcome) != c.want || !strings.Contains(f.Says.Text(p.Locale()), c.says) {
			t.Errorf("%v: %s %q", c.sets, f.Outcome, f.Says.Text(p.Locale()))
		}
	}
	// The longer drawbar that is named does it, and a hand less does not.
	r := rig.Resolve(sample.Plan(t, sample.Crate+"/at/back", `-0.6`), "t", "o")
	lo, hi := 0.0, 3.0
	for range 40 {
		if mid := (lo + hi) / 2; clearance.Articulate(r, mid).Angle >= clearance.WantedTurn {
			hi = mid
		} else {
			lo = mid
		}
	}
	if hi < 0.05 || clearance.Articulate(r, hi-0.02).Angle >= clearance.WantedTurn {
		t.Errorf("longer by %v", hi)
	}
}

func BenchmarkTurn(b *testing.B) {
	r := rig.Resolve(sample.Plan(b, sample.Crate+"/at/back", `-0.6`), "t", "o")
	for b.Loop() {
		clearance.Check(r)
	}
}

// The drawbar that the wanted angle takes, and what it changes: 60 kg on the ball
// at L = 2.5 with d more is 60·2.5/(2.5 + d), on a free length of 0.8 + d for 0.8 m.
func TestSwing(t *testing.T) {
	r := rig.Resolve(sample.Plan(t, "/trailers/t/couplingToDeck/value", "0.8", sample.Crate+"/at/back", "0.95"), "t", "o")
	s := clearance.SwingOf(r)
	if s == nil || s.Left.Angle == nil || s.Right.Angle == nil || s.Longer == nil {
		t.Fatalf("%+v", s)
	}
	if math.Abs(*s.Left.Angle-*s.Right.Angle) > 1e-9 {
		t.Errorf("a symmetric rig touches at %v and %v", *s.Left.Angle, *s.Right.Angle)
	}
	d := s.Longer.By
	if math.Abs(s.Longer.Ball-60*2.5/(2.5+d)) > 1e-9 || s.Longer.Bends == nil ||
		math.Abs(*s.Longer.Bends-2.5/(2.5+d)*(0.8+d)/0.8) > 1e-9 || math.Abs(s.Longer.Answers-2.5/(2.5+d)) > 1e-9 {
		t.Errorf("%+v", s.Longer)
	}
	if long := clearance.Articulate(r, d); long.Angle < clearance.WantedTurn {
		t.Errorf("%v m longer it touches at %v", d, long.Angle)
	}
	// A smaller angle asked for takes less, or none.
	less := clearance.SwingOf(rig.Resolve(sample.Plan(t, "/trailers/t/couplingToDeck/value", "0.8", sample.Crate+"/at/back", "0.95", "/trailers/t/turnTo", "0.9"), "t", "o"))
	if less.Longer != nil && less.Longer.By >= d {
		t.Errorf("for 0.9 rad %v m, for a right angle %v", less.Longer.By, d)
	}
	if s := clearance.SwingOf(rig.Resolve(sample.Plan(t, "/outings/o/vehicle", "-"), "t", "o")); s != nil {
		t.Error("no car, and it touches")
	}
}

// Straight ahead each thing meets the tailgate that is tall enough for it, however far behind
// the foremost: a low box on the drawbar leaves 600 mm to the bumper, a tall crate behind it
// stands 300 mm into the open tailgate of 1.2 m.
func TestGapOfEveryItem(t *testing.T) {
	low := `{"order":2,"name":"Box","mass":{"value":5,"how":"weighed"},"size":{"length":{"value":0.3,"how":"weighed"},"width":{"value":0.4,"how":"weighed"},"height":{"value":0.2,"how":"weighed"}},"centre":{}}`
	sets := []string{"/towVehicles/car/gateReach", `1.2`, "/towVehicles/car/gateHeight", `0.9`, "/towVehicles/car/ballBehind", `0.15`, "/trailers/t/deckHeight", `{"value":0.5,"how":"weighed"}`,
		"/trailers/t/sideHeight", `0`, "/loads/low", low, "/outings/o/layouts/t/placements/low", `{"on":"deck","at":{"back":-0.55}}`, sample.Crate + "/at/back", `-0.25`}
	r := rig.Resolve(sample.Plan(t, sets...), "t", "o")
	m := clearance.Measure(r)
	// Crate: 0.75 + 0.15 − 1.2; box: 0.45 + 0.15, the foremost.
	if math.Abs(*m.Gap+0.3) > 1e-9 || m.By == nil || m.By.Name != "Crate" {
		t.Errorf("%v %+v", *m.Gap, m.By)
	}
	_, fs := clearance.Check(r)
	if f := sample.Find(t, fs, clearance.CodeCar); f.Outcome != "fails" {
		t.Errorf("%s %s", f.Outcome, f.Says.Text(r.Plan.Locale()))
	}
	low2 := clearance.Measure(rig.Resolve(sample.Plan(t, append(sets, "/loads/crate/size/height/value", `0.3`)...), "t", "o"))
	if math.Abs(*low2.Gap-0.6) > 1e-9 {
		t.Errorf("low: %v", *low2.Gap)
	}
}
