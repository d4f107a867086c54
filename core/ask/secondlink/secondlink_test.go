package secondlink

import (
	"math"
	"testing"

	"zygonos/core/internal/sample"
	"zygonos/core/lang/finding"
	"zygonos/core/rig"
)

const at = "/trailers/t/secondLink"

func checked(t *testing.T, sets ...string) []finding.Finding {
	t.Helper()
	return Check(rig.Resolve(sample.Plan(t, sets...), "t", "o"))
}

// A chain of grade 30 with 6 mm wire: 300 MPa·π/2·36 mm² = 16 965 N, 1730 kg, for a trailer of
// 750 kg. Its hook marked 200 kg breaks at 600 at least: too little. A bolt M10 of 8.8 in one
// plane: 0.6·800 MPa·0.78·78.54 mm²/1.25 = 23 524 N, 2399 kg.
func TestStrength(t *testing.T) {
	for _, c := range []struct {
		link    string
		outcome finding.Outcome
		limit   float64
	}{
		{`{"grade":"30","thick":0.006,"hook":900,"welded":true}`, finding.Holds, 1729.9},
		{`{"grade":"30","thick":0.006}`, finding.Tight, 1729.9},            // of hook and eye nothing is stated
		{`{"grade":"30","thick":0.006,"hook":900}`, finding.Tight, 1729.9}, // nor of the eye
		{`{"thick":0.006}`, finding.Tight, 1729.9},                         // no mark
		{`{"grade":"30","thick":0.006,"hook":200}`, finding.Fails, 600},
		{`{"grade":"30","thick":0.006,"hook":400,"bolted":{"bolt":0.01,"grade":"8.8"}}`, finding.Holds, 1200},
		{`{"grade":"70","thick":0.008,"hook":2000,"bolted":{"bolt":0.01,"grade":"8.8"}}`, finding.Holds, 2398.8},
		{`{"breaks":700}`, finding.Fails, 700},
		{`{"kind":"cable","thick":0.005,"hook":900,"welded":true}`, finding.Holds, 1056.6}, // 0.8·0.33·1570·25 = 10 362 N
		{`{"kind":"cable","thick":0.004}`, finding.Fails, 676.2},
		{`{"hook":5000}`, finding.Unknown, 0}, // of the chain nothing is known
		{`{"thick":0.003}`, finding.Fails, 432.5},
	} {
		f := sample.Find(t, checked(t, at, c.link), CodeStrength)
		if f.Outcome != c.outcome || c.limit > 0 && math.Abs(f.Limit.Value-c.limit) > 0.6 {
			t.Errorf("%s: %s %+v", c.link, f.Outcome, f.Limit)
		}
	}
	if f := sample.Find(t, checked(t), CodeStrength); f.Outcome != finding.Unknown || len(f.Needs) == 0 {
		t.Errorf("of a chain of which nothing is told: %+v", f)
	}
	// What it weighs counts where that is over the plate: 650 kg on a plate of 500.
	f := sample.Find(t, checked(t, at, `{"breaks":600}`, "/trailers/t/label", `{"value":500,"counts":"gross"}`), CodeStrength)
	if f.Outcome != finding.Fails || math.Abs(f.Figure.Value-650) > 1e-6 {
		t.Errorf("%+v", f)
	}
	if fs := checked(t, "/trailers/t/chains", "0"); len(fs) > 0 {
		t.Errorf("none fitted, yet judged: %v", fs)
	}
}

// hang is crossed chains with eyes 300 mm behind and 80 mm before the ball, 150 and 120 mm beside
// the middle, all 400 mm high.
func hang(length float64) *Hang {
	return &Hang{Ahead: 0.08, CarAside: 0.12, CarUp: 0.4, Back: 0.3, Aside: 0.15, Up: 0.4, Length: length, Crossed: true}
}

// Straight ahead √(0.38² + 0.27²) = 466.2 mm. Turned by 60° one spans √(0.1001² + 0.4548²) = 465.7,
// by 30° √(0.2648² + 0.3999²) = 479.6, the other 365.7 at 60°.
func TestSpan(t *testing.T) {
	h := hang(0.6)
	for _, c := range []struct{ degrees, want float64 }{{0, 0.4662}, {-60, 0.4657}, {-30, 0.4796}, {60, 0.3657}} {
		if got := h.Span(c.degrees * math.Pi / 180); math.Abs(got-c.want) > 1e-4 {
			t.Errorf("%v°: %v, want %v", c.degrees, got, c.want)
		}
	}
	most := 0.0
	for a := -math.Pi / 2; a <= math.Pi/2; a += 1e-4 {
		most = max(most, h.Span(a))
	}
	if got := h.Takes(math.Pi / 2); math.Abs(got-most) > 1e-4 {
		t.Errorf("a turn takes %v, looked through it takes %v", got, most)
	}
	if got := hang(most + 1e-3).TurnsTo(mostTurn); got < math.Pi/2 {
		t.Errorf("turns to %v only", got)
	}
	if got := hang(0.475).TurnsTo(mostTurn) * 180 / math.Pi; got < 10 || got > 30 {
		t.Errorf("475 mm turn to %v°", got)
	}
}

// 600 mm of chain over 466.2 mm: sinh u/u = 1.2870, u = 1.2612, a = 184.8 mm, it sags
// a·(cosh u − 1) = 167.6 mm: 232 mm over the road. Held against laying out links one by one.
func TestLowest(t *testing.T) {
	if got := hang(0.6).Lowest(); math.Abs(got-0.2324) > 3e-4 {
		t.Errorf("%v", got)
	}
	if got := hang(0.4).Lowest(); got != 0.4 {
		t.Errorf("drawn tight it hangs at %v", got)
	}
	for _, up := range []float64{0.3, 0.4, 0.55} {
		h := hang(0.6)
		h.Up = up
		if got, want := h.Lowest(), linked(h); math.Abs(got-want) > 2e-3 {
			t.Errorf("eye at %v: %v, of links %v", up, got, want)
		}
	}
	double := &Hang{CarUp: 0.5, Up: 0.4, Length: 0.3}
	if got := double.Lowest(); math.Abs(got-0.3) > 1e-9 { // (0.5 + 0.4 − 0.3)/2
		t.Errorf("straight down and up: %v", got)
	}
}

// linked hangs the chain as points at equal distances, let down until nothing moves: each point
// falls and the links are drawn to their length again and again.
func linked(h *Hang) float64 {
	const n = 60
	v := h.Up - h.CarUp
	across := math.Sqrt(h.Span(0)*h.Span(0) - v*v)
	x, z := make([]float64, n+1), make([]float64, n+1)
	for i := range x {
		s := float64(i) / n
		x[i], z[i] = across*s, h.CarUp+v*s-0.2*math.Sin(math.Pi*s)
	}
	link := h.Length / n
	for round := range 60_000 {
		fall := 1e-4 * math.Pow(0.9998, float64(round))
		for i := 1; i < n; i++ {
			z[i] -= fall
		}
		for i := range n {
			dx, dz := x[i+1]-x[i], z[i+1]-z[i]
			k := (math.Hypot(dx, dz) - link) / math.Hypot(dx, dz) / 2
			if i > 0 {
				x[i], z[i] = x[i]+dx*k, z[i]+dz*k
			}
			if i+1 < n {
				x[i+1], z[i+1] = x[i+1]-dx*k, z[i+1]-dz*k
			}
		}
	}
	low := math.Inf(1)
	for _, v := range z {
		low = min(low, v)
	}
	return low
}

// With its eye at 420 mm and the car's at 400: √(0.52² − 0.4662²) + 0.02 = 250.4 mm of fall at the
// eye, times 2.5/2.2 at the head: 284.5 mm.
func TestFalls(t *testing.T) {
	h := hang(0.52)
	h.Up = 0.42
	if got, ok := h.Falls(2.5); !ok || math.Abs(got-0.2845) > 3e-4 {
		t.Errorf("%v %v", got, ok)
	}
	if _, ok := hang(0.4).Falls(2.5); ok {
		t.Error("a chain that is too short falls")
	}
}

// What is not stated of the car's eye leaves doubt; mirrored and in any order the chains are alike.
func TestHanging(t *testing.T) {
	link := func(length string) string {
		return `{"grade":"30","thick":0.006,"crossed":true,"length":` + length + `,"back":0.3,"aside":0.15}`
	}
	for _, c := range []struct {
		length             string
		turn, ground, fall finding.Outcome
	}{
		{"0.4", finding.Fails, finding.Holds, ""},
		{"0.6", finding.Holds, finding.Holds, finding.Fails},
		{"1.2", finding.Holds, finding.Fails, finding.Fails},
	} {
		fs := checked(t, "/trailers/t/chains", "2", at, link(c.length))
		for code, want := range map[string]finding.Outcome{CodeTurn: c.turn, CodeGround: c.ground, CodeFall: c.fall, CodeCrossed: finding.Holds} {
			got := finding.Outcome("")
			for _, f := range fs {
				if f.Code == code {
					got = f.Outcome
				}
			}
			if got != want {
				t.Errorf("%s m, %s: %s, want %s", c.length, code, got, want)
			}
		}
	}
	for need, doc := range map[string]string{"back": `{"length":0.6}`, "length": `{"back":0.3}`} {
		f := sample.Find(t, checked(t, "/trailers/t/chains", "2", at, doc), CodeTurn)
		if f.Outcome != finding.Unknown || len(f.Needs) != 1 || f.Needs[0].Path != at+"/"+need {
			t.Errorf("without %s: %s %v", need, f.Outcome, f.Needs)
		}
	}
	// A drawbar lengthened by 0.5 m takes the eye along: what was long enough is not.
	longer := `{"longer":0.5,"way":"sleeve","profile":{"shape":"tube","height":0.06,"width":0.06,"wall":0.003,"material":"mild"}}`
	fs := checked(t, "/trailers/t/chains", "2", at, link("0.6"), "/trailers/t/drawbar", longer)
	if f := sample.Find(t, fs, CodeTurn); f.Outcome != finding.Fails {
		t.Errorf("%+v", f)
	}
}

func TestEye(t *testing.T) {
	for link, want := range map[string]finding.Outcome{
		`{"welded":true}`: finding.Unknown, `{"tiesToo":true}`: finding.Tight,
	} {
		if f := sample.Find(t, checked(t, at, link), CodeEye); f.Outcome != want {
			t.Errorf("%s: %+v", link, f)
		}
	}
	for _, f := range checked(t, at, `{"welded":true,"seen":true}`) {
		if f.Code == CodeEye {
			t.Errorf("looked at, yet %+v", f)
		}
	}
	fs := checked(t, "/trailers/t/chains", "2", at, `{"crossed":false}`)
	if f := sample.Find(t, fs, CodeCrossed); f.Outcome != finding.Fails {
		t.Errorf("%+v", f)
	}
}
