package parts_test

import (
	"math"
	"testing"

	"gonum.org/v1/gonum/spatial/r3"

	"zygonos/core/lang/quantity"
	"zygonos/core/parts"
	"zygonos/core/plan"
)

type length = quantity.Length

func tube(h, w, t float64) plan.Profile {
	return plan.Profile{Shape: "tube", Height: length(h), Width: length(w), Wall: length(t), Material: "s235"}
}

func member(order int, p plan.Profile, a, b [3]float64) plan.Member {
	at := func(v [3]float64) plan.FramePoint {
		return plan.FramePoint{Back: length(v[0]), Right: length(v[1]), Up: length(v[2])}
	}
	return plan.Member{Order: order, Profile: p, From: at(a), To: at(b)}
}

// ladder: two rails 2.4 m long, 1.1 m apart, of 80 × 40 × 3, cross bars of 40 × 40 × 3 between their inner
// faces at 0, 0.8, 1.6 and 2.4 m, and a drawbar 80 × 80 × 4 under the two front ones, 2.6 m long.
func ladder() *plan.Frame {
	rail, cross := tube(.08, .04, .003), tube(.04, .04, .003)
	f := &plan.Frame{Members: map[string]plan.Member{
		"left":  member(1, rail, [3]float64{0, -.55, 0}, [3]float64{2.4, -.55, 0}),
		"right": member(2, rail, [3]float64{0, .55, 0}, [3]float64{2.4, .55, 0}),
		"bar":   member(9, tube(.08, .08, .004), [3]float64{-1.8, 0, -.04}, [3]float64{.8, 0, -.04}),
	}}
	for i, x := range []float64{0, .8, 1.6, 2.4} {
		f.Members[string(rune('a'+i))] = member(3+i, cross, [3]float64{x, -.53, 0}, [3]float64{x, .53, 0})
	}
	return f
}

// A metre of 80 × 40 × 3 (EN 10219-2: 6.61 cm²) weighs 5.19 kg by its table, of 40 × 40 × 3
// 3.30, of 80 × 80 × 4 9.22: 2·2.4·5.19 + 4·1.06·3.30 + 2.6·9.22 = 62.9 kg.
func TestFrameMass(t *testing.T) {
	m, c := parts.FrameMass(ladder())
	if want := 2*2.4*5.19 + 4*1.06*3.30 + 2.6*9.22; math.Abs(m-want) > 0.002*want {
		t.Errorf("weighs %v, by the tables %v", m, want)
	}
	rails, cross, bar := 2*2.4*5.19, 4*1.06*3.30, 2.6*9.22
	if want := ((rails+cross)*1.2 + bar*-.5) / (rails + cross + bar); math.Abs(c.X-want) > 0.01 || math.Abs(c.Y) > 1e-12 {
		t.Errorf("centre %v, want %v", c, want)
	}
	// tops are flush: rails' middles 40 mm under them, cross bars' 20, the drawbar's 80
	for _, b := range parts.FrameBars(ladder()) {
		want := map[string]float64{"left": -.04, "right": -.04, "bar": -.08}[b.ID]
		if want == 0 {
			want = -.02
		}
		if math.Abs(b.From.Z-want) > 1e-12 || math.Abs(b.To.Z-want) > 1e-12 {
			t.Errorf("%s lies at %v", b.ID, b.From.Z)
		}
	}
	// turned flat, its middle lies half its width under its top
	flat := ladder()
	left := flat.Members["left"]
	left.Roll = math.Pi / 2
	flat.Members["left"] = left
	if z := parts.FrameBars(flat)[0].From.Z; math.Abs(z+.02) > 1e-12 {
		t.Errorf("flat, it lies at %v", z)
	}
	if m, _ := parts.FrameMass(nil); m != 0 {
		t.Error("nothing weighs something")
	}
}

// Every cross bar meets both rails, 20 mm from their middles and 20 mm down; the drawbar meets the two
// cross bars that lie over it, 60 mm apart, and nothing else.
func TestFrameTouches(t *testing.T) {
	bars := parts.FrameBars(ladder())
	met := map[[2]string]float64{}
	for _, x := range parts.FrameTouches(bars) {
		met[[2]string{bars[x.A].ID, bars[x.B].ID}] = x.Across
	}
	want := map[[2]string]float64{{"a", "bar"}: .06, {"b", "bar"}: .06}
	for _, c := range []string{"a", "b", "c", "d"} {
		want[[2]string{"left", c}], want[[2]string{"right", c}] = math.Hypot(.02, .02), math.Hypot(.02, .02)
	}
	for pair, d := range want {
		if got, ok := met[pair]; !ok || math.Abs(got-d) > 1e-9 {
			t.Errorf("%v: %v (met %v), want %v", pair, got, ok, d)
		}
	}
	if len(met) != len(want) {
		t.Errorf("%d meetings, want %d: %v", len(met), len(want), met)
	}
	// drawn 10 mm too short, a cross bar meets no rail
	f := ladder()
	c := f.Members["c"]
	c.To.Right = .52
	f.Members["c"] = c
	for _, x := range parts.FrameTouches(parts.FrameBars(f)) {
		if bars[x.A].ID == "right" && bars[x.B].ID == "c" {
			t.Error("a gap of 10 mm is welded")
		}
	}
	// a doubler along a rail meets it at both of its own ends
	f = ladder()
	f.Members["double"] = member(20, tube(.08, .04, .003), [3]float64{.5, -.59, 0}, [3]float64{1.5, -.59, 0})
	n := 0
	bars = parts.FrameBars(f)
	for _, x := range parts.FrameTouches(bars) {
		if bars[x.A].ID == "left" && bars[x.B].ID == "double" {
			n++
			if at := bars[x.A].At(x.AtA); r3.Norm(r3.Sub(at, bars[x.B].At(x.AtB))) > .0401 {
				t.Error("it meets off itself")
			}
		}
	}
	if n != 2 {
		t.Errorf("a doubler meets its rail %d times", n)
	}
}

// What makes no sense says so and weighs nothing.
func TestFrameWrong(t *testing.T) {
	f := &plan.Frame{Members: map[string]plan.Member{
		"point": member(1, tube(.04, .04, .003), [3]float64{1, 0, 0}, [3]float64{1, 0, 0}),
		"thick": member(2, tube(.04, .04, .03), [3]float64{0, 0, 0}, [3]float64{1, 0, 0}),
	}}
	for _, b := range parts.FrameBars(f) {
		if b.Wrong == "" || b.Each != 0 {
			t.Errorf("%s: %+v", b.ID, b)
		}
	}
	if p := parts.FramePieces(parts.FrameBars(f)); len(p) != 0 {
		t.Errorf("pieces of nothing: %+v", p)
	}
}

// The cut list weighs what the drawing weighs, to the gram.
func TestFramePieces(t *testing.T) {
	f := ladder()
	drawn, _ := parts.FrameMass(f)
	sum, n := 0.0, 0
	for _, p := range parts.FramePieces(parts.FrameBars(f)) {
		sum += p.Each * float64(len(p.Members))
		n += len(p.Members)
	}
	if math.Abs(sum-drawn) > 1e-9 || n != len(f.Members) {
		t.Errorf("%d pieces of %v kg, drawn %d of %v", n, sum, len(f.Members), drawn)
	}
}
