package tank_test

import (
	"fmt"
	"math"
	"strings"
	"testing"

	"zygonos/core/ask/tank"
	"zygonos/core/internal/sample"
	"zygonos/core/lang/finding"
	"zygonos/core/lang/quantity"
	"zygonos/core/parts"
	"zygonos/core/rig"
	"zygonos/core/sums/section"
)

const leg = `"leg":{"shape":"tube","height":0.06,"width":0.06,"wall":0.004,"material":"s235"}`

var slim = strings.Replace(leg, `"height":0.06,"width":0.06,"wall":0.004`, `"height":0.04,"width":0.04,"wall":0.003`, 1)

// on stands a tank of 300 l, a third full, so high over the deck.
func on(t *testing.T, up float64, legs string) *rig.Rig {
	t.Helper()
	return rig.Resolve(sample.Plan(t,
		"/loads", `{"w":{"order":1,"name":"Water","kind":"tank","mass":{"value":20,"plusMinus":0,"how":"weighed"},"size":{"length":{"value":1,"how":"weighed"},
		"width":{"value":0.8,"how":"weighed"},"height":{"value":0.6,"how":"weighed"}},"centre":{},"tank":{"fluid":"water","fill":0.33,
		"capacity":{"value":0.3,"plusMinus":0,"how":"plate"},`+legs+`}}}`,
		"/outings/o/layouts/t/placements", fmt.Sprintf(`{"w":{"on":"deck","at":{"back":0.5,"up":%v}}}`, up),
		"/trailers/t/deckHeight", `{"value":0.6,"how":"weighed"}`), "t", "o")
}

func TestStand(t *testing.T) {
	for _, c := range []struct {
		up   float64
		legs string
		want finding.Outcome
		says string
	}{
		{0.5, `"legs":4,` + leg, finding.Holds, "Straps"},
		{1.5, `"legs":4,` + slim, finding.Fails, "Brace"},
		{1.5, `"legs":4,"legsBraced":true,` + slim, finding.Holds, "Straps"},
		{0.5, `"legs":2,` + leg, finding.Fails, "falls over"},
		{0.5, `"legs":4,` + strings.Replace(leg, `"height":0.06,"width":0.06,"wall":0.004`, `"height":0.01,"width":0.01,"wall":0.001`, 1), finding.Fails, "falls over"},
		{0, `"legs":4,` + leg, finding.Unknown, "how high"},
		{0.5, `"legs":4`, finding.Unknown, "leg is made of"},
	} {
		fs := tank.Check(on(t, c.up, c.legs))
		if len(fs) != 1 {
			t.Fatalf("%d findings", len(fs))
		}
		if says := fs[0].Says.Text(quantity.Locale{}); fs[0].Outcome != c.want || !strings.Contains(says, c.says) || c.want == finding.Unknown && len(fs[0].Needs) != 1 {
			t.Errorf("%v %s: %s %q", c.up, c.legs, fs[0].Outcome, says)
		}
	}
}

// Six legs lean on their front pair as four do: each of the two bears half of all.
func TestSixLegs(t *testing.T) {
	r := on(t, 0.5, `"legs":6,"legsBraced":true,`+leg)
	it := &r.Items[0]
	s, _ := section.Of(parts.SizeOf(it.Load.Tank.Leg))
	want := (20 + it.Lot.Contents.Full.High) * 9.80665 * r.Shock() / 2 / s.Area
	four := tank.Check(on(t, 0.5, `"legs":4,"legsBraced":true,`+leg))[0].Figure.Value
	for _, got := range []float64{tank.Check(r)[0].Figure.Value, four} {
		if math.Abs(got-want) > 1e-6*want {
			t.Errorf("%v, want %v", got, want)
		}
	}
}

// By hand: full it weighs 20 + 0.3·(at most) kg, though it is a third full; four legs of 0.5 m.
func TestByHand(t *testing.T) {
	r := on(t, 0.5, `"legs":4,`+leg)
	it := &r.Items[0]
	kg := 20 + it.Lot.Contents.Full.High
	if kg < 318 || kg > 321 {
		t.Errorf("full %v kg", kg)
	}
	s, _ := section.Of(parts.SizeOf(it.Load.Tank.Leg))
	n := kg * 9.80665 * r.Shock() / 4 * 2
	cr := math.Pi * math.Pi * 210e9 * s.Iy
	want := n/s.Area + 0.8*kg*9.80665*0.5/4/s.Wy/(1-n/cr)
	if got := tank.Check(r)[0].Figure.Value; math.Abs(got-want) > 1e-6*want {
		t.Errorf("%v, want %v", got, want)
	}
}
