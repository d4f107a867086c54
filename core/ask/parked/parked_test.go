package parked

import (
	"math"
	"math/rand/v2"
	"testing"

	"zygonos/core/internal/sample"
	"zygonos/core/lang/finding"
	"zygonos/core/rig"
)

func stands(t *testing.T, told string, more ...string) []finding.Finding {
	t.Helper()
	sets := append([]string{"/trailers/t/deckHeight", `{"value":0.5,"how":"weighed"}`, "/outings/o/parked", told}, more...)
	return Check(rig.Resolve(sample.Plan(t, sets...), "t", "o"))
}

// 650 kg with its centre 2.269 m behind the ball, wheels at 2.5 m and ±0.8, jockey wheel at 0.3: room
// to the axle 0.2308 m, to the slanting edges 0.8·1.969/2.341 = 0.673. A push of 30 kg at 1.2 m: 650·
// 0.2308/36 = 4.17. Wind of 20 m/s on 2.5 × 0.85 m: 0.625·400·1.2·2.125/9.80665 = 65.0 kg at 0.775 m;
// over a slanting edge (0.94 of it) 437.4/47.4 = 9.24.
func TestTip(t *testing.T) {
	for told, want := range map[string]float64{`{"frontAt":0.3}`: 4.167, `{"frontAt":0.3,"wind":20}`: 9.24} {
		f := sample.Find(t, stands(t, told), CodeTip)
		if f.Outcome != finding.Holds || math.Abs(f.Figure.Value-want) > 0.01 {
			t.Errorf("%s: %s %v", told, f.Outcome, f.Figure.Value)
		}
	}
	// 150 kg at the tail (x 3.5): the centre comes to (650·2.269 + 150·3.5)/800 = 2.5: on the axle.
	if f := sample.Find(t, stands(t, `{"frontAt":0.3,"extra":160,"back":2.5}`), CodeTip); f.Outcome != finding.Fails {
		t.Errorf("%+v", f)
	}
	// Legs under the tail hold it.
	if f := sample.Find(t, stands(t, `{"frontAt":0.3,"extra":160,"back":2.5,"rearAt":2.4,"rearApart":1}`), CodeTip); f.Outcome == finding.Fails {
		t.Errorf("%+v", f)
	}
	// Where they stand is not stated: the worst corner of the deck, which tips it.
	if f := sample.Find(t, stands(t, `{"frontAt":0.3,"extra":160}`), CodeTip); f.Outcome != finding.Fails {
		t.Errorf("%+v", f)
	}
	// A load whose weight is a guess may tip it.
	rough := []string{"/loads/crate/mass", `{"value":400,"plusMinus":390,"how":"guessed"}`, sample.Crate + "/at/back", "1.1"}
	if f := sample.Find(t, stands(t, `{"frontAt":0.3}`, rough...), CodeTip); f.Outcome == finding.Holds {
		t.Errorf("%+v", f)
	}
	if f := sample.Find(t, stands(t, `{}`), CodeTip); f.Outcome != finding.Unknown || len(f.Needs) != 1 {
		t.Errorf("%+v", f)
	}
}

// The jockey wheel bears 650·0.2308/2.2 = 68.2 kg: 668.6 N on a foot of 60 mm square are 185.7 kPa;
// wet turf bears 40, on a board of √(668.6/40 000) = 129 mm.
func TestFoot(t *testing.T) {
	f := sample.Find(t, stands(t, `{"frontAt":0.3,"soil":"turf-wet","foot":0.06}`), CodeFoot)
	if f.Outcome != finding.Fails || math.Abs(f.Figure.Value-185.7e3) > 200 {
		t.Errorf("%s %v", f.Outcome, f.Figure.Value)
	}
	for told, want := range map[string]finding.Outcome{
		`{"frontAt":0.3,"soil":"turf-wet","foot":0.15}`: finding.Holds, `{"frontAt":0.3,"soil":"concrete","foot":0.06}`: finding.Holds,
		`{"frontAt":0.3,"soil":"mud"}`: finding.Unknown,
	} {
		if f := sample.Find(t, stands(t, told), CodeFoot); f.Outcome != want {
			t.Errorf("%s: %+v", told, f)
		}
	}
}

// 250 kg folded to 1.4 m wide and 0.5 m thick: 125 kg at the far side, and 250·0.25/1.4 = 44.6 kg at
// the top tip it; on casters 0.1 m apart 8.9.
func TestEdge(t *testing.T) {
	folded := `{"length":{"value":1.5,"how":"weighed"},"width":{"value":1.4,"how":"weighed"},"height":{"value":0.5,"how":"weighed"}}`
	on := func(more ...string) finding.Finding {
		sets := append([]string{"/trailers/t/folded", folded, "/trailers/t/onEdge", "true"}, more...)
		return sample.Find(t, Check(rig.Resolve(sample.Plan(t, sets...), "t", "o")), CodeEdge)
	}
	if f := on(); f.Outcome != finding.Holds || math.Abs(f.Figure.Value-44.64) > 0.3 {
		t.Errorf("%s %v", f.Outcome, f.Figure.Value)
	}
	if f := on("/trailers/t/edgeBase", "0.1"); f.Outcome != finding.Fails {
		t.Errorf("%+v", f)
	}
}

// The hull of random points holds them all, and the room of a point is the least over its edges
// whatever the order; mirrored it is the same.
func TestEdges(t *testing.T) {
	rnd := rand.New(rand.NewPCG(8, 1))
	for range 300 {
		var p, mirrored []Point
		for range 3 + rnd.IntN(5) {
			q := Point{rnd.Float64() * 4, rnd.Float64()*2 - 1}
			p, mirrored = append(p, q), append(mirrored, Point{q.X, -q.Y})
		}
		at := Point{rnd.Float64() * 4, rnd.Float64()*2 - 1}
		least := func(p []Point, at Point) float64 {
			out := math.Inf(1)
			for _, e := range Edges(p, at) {
				out = min(out, e.Room)
			}
			return out
		}
		room := least(p, at)
		for _, q := range p {
			if least(p, q) < -1e-9 {
				t.Fatalf("%v lies outside of its own points %v", q, p)
			}
		}
		rnd.Shuffle(len(p), func(i, k int) { p[i], p[k] = p[k], p[i] })
		if math.Abs(least(p, at)-room) > 1e-9 || math.Abs(least(mirrored, Point{at.X, -at.Y})-room) > 1e-9 {
			t.Fatalf("%v: %v", p, room)
		}
	}
	if len(Edges([]Point{{0, 0}, {1, 0}, {2, 0}}, Point{1, 0})) != 0 {
		t.Error("a line has an inside")
	}
}

func TestWeeks(t *testing.T) {
	if f := sample.Find(t, stands(t, `{"frontAt":0.3,"weeks":8}`), CodeWeeks); f.Outcome != finding.Holds {
		t.Errorf("%+v", f) // 295 kg of 500 on a tyre
	}
	if f := sample.Find(t, stands(t, `{"frontAt":0.3,"weeks":8}`, "/trailers/t/tyreRating", "350"), CodeWeeks); f.Outcome != finding.Tight {
		t.Errorf("%+v", f)
	}
}
