package rig_test

import (
	"encoding/json"
	"math"
	"testing"

	"zygonos/core/internal/sample"
	"zygonos/core/rig"
)

// frame is a ladder under the sample's deck: rails 2.5 m long, cross bars at both ends and in the middle, a
// drawbar from 0.1 m behind the ball (deck 1.0 m behind it) to the middle cross bar.
const frame = `{"extra":0,"members":{
 "l":{"order":1,"name":"Left","role":"rail","from":{"back":0,"right":-0.6},"to":{"back":2.5,"right":-0.6},"profile":` + rail + `},
 "r":{"order":2,"name":"Right","role":"rail","from":{"back":0,"right":0.6},"to":{"back":2.5,"right":0.6},"profile":` + rail + `},
 "a":{"order":3,"name":"A","role":"cross","from":{"back":0.02,"right":-0.58},"to":{"back":0.02,"right":0.58},"profile":` + cross + `},
 "b":{"order":4,"name":"B","role":"cross","from":{"back":1.25,"right":-0.58},"to":{"back":1.25,"right":0.58},"profile":` + cross + `},
 "c":{"order":5,"name":"C","role":"cross","from":{"back":2.48,"right":-0.58},"to":{"back":2.48,"right":0.58},"profile":` + cross + `},
 "d":{"order":6,"name":"Drawbar","role":"drawbar","from":{"back":-0.9,"right":0,"up":-0.04},"to":{"back":1.27,"right":0,"up":-0.04},"profile":` + bar + `}}}`

const (
	rail  = `{"shape":"tube","height":0.08,"width":0.04,"wall":0.003,"material":"s235"}`
	cross = `{"shape":"tube","height":0.04,"width":0.04,"wall":0.003,"material":"s235"}`
	bar   = `{"shape":"tube","height":0.08,"width":0.08,"wall":0.004,"material":"s235"}`
)

func drawn(t *testing.T, sets ...string) *rig.Rig {
	t.Helper()
	return rig.Resolve(sample.Plan(t, append([]string{"/trailers/t/frame", frame, "/trailers/t/empty", "{}",
		"/trailers/t/runningGear", `{"value":70,"plusMinus":0,"how":"weighed"}`}, sets...)...), "t", "o")
}

// By the tables (5.19, 3.30, 9.22 kg/m) the members weigh 5·5.19 + 3·1.16·3.30 + 2.17·9.22 = 57.4 kg; with
// 70 kg of axle, 4 of coupling head and the usual floor, mudguards and jockey wheel that is the empty trailer.
func TestEmptyByDrawing(t *testing.T) {
	r := drawn(t)
	if r.Drawn == nil || !r.Drawn.Whole || r.EmptyWay != "from the drawing" {
		t.Fatalf("drawn: %+v, %s", r.Drawn, r.EmptyWay)
	}
	if want := 5*5.19 + 3*1.16*3.30 + 2.17*9.22; math.Abs(r.Drawn.Mass-want) > 0.002*want {
		t.Errorf("members weigh %v, want %v", r.Drawn.Mass, want)
	}
	floor, guards, jockey := 2.5*1.4*(7+12)/2, 6.5, 8.5
	if want := r.Drawn.Mass + 70 + 4 + floor + guards + jockey; math.Abs(r.EmptyMass().Nominal-want) > 1e-9 {
		t.Errorf("empty %v, want %v", r.EmptyMass().Nominal, want)
	}
	if want := r.EmptyMass().Nominal + 400; math.Abs(r.Bears.Mass.Nominal-want) > 1e-9 {
		t.Errorf("laden %v, want %v", r.Bears.Mass.Nominal, want)
	}
	sum := 0.0
	for _, b := range r.Bits() {
		sum += b.Mass.Value
	}
	if math.Abs(sum-r.EmptyMass().Nominal) > 1e-9 {
		t.Errorf("bits come to %v", sum)
	}
}

// A 12 kg member that is moved 0.5 m back takes 12·0.5/L off the ball.
func TestMovedMember(t *testing.T) {
	at := func(back string) *rig.Rig {
		return drawn(t, "/trailers/t/frame/members/x", `{"order":9,"name":"X","role":"cross",
			"from":{"back":`+back+`,"right":-0.58},"to":{"back":`+back+`,"right":0.58},"profile":`+cross+`}`)
	}
	a, b := at("1.5"), at("2.0")
	each := 0.0
	for _, m := range a.Drawn.Bars {
		if m.ID == "x" {
			each = m.Each
		}
	}
	if got, want := b.Bears.Ball.Nominal-a.Bears.Ball.Nominal, -each*0.5/2.5; math.Abs(got-want) > 1e-9 {
		t.Errorf("the ball load changed by %v, want %v", got, want)
	}
}

// Weighed comes before the plate, the plate before the drawing, the drawing before what is typical; a
// drawing that is not whole counts for nothing.
func TestOrderOfTrust(t *testing.T) {
	for _, c := range []struct {
		name  string
		sets  []string
		drawn bool
	}{
		{"nothing else", nil, true},
		{"typical", []string{"/trailers/t/empty", `{"mass":{"value":300,"how":"typical"}}`}, true},
		{"plate", []string{"/trailers/t/empty", `{"mass":{"value":300,"how":"plate"}}`}, false},
		{"weighed", []string{"/trailers/t/empty", `{"ball":{"mass":20},"axle":{"mass":230}}`}, false},
		{"a rail alone", []string{"/trailers/t/frame", `{"members":{"l":{"order":1,"name":"L","from":{"back":0,"right":-0.6},
			"to":{"back":2.5,"right":-0.6},"profile":` + rail + `}}}`}, false},
		{"an island", []string{"/trailers/t/frame/members/i", `{"order":9,"name":"I","from":{"back":3,"right":-0.2},
			"to":{"back":3,"right":0.2},"profile":` + rail + `}`}, false},
		{"no drawbar", []string{"/trailers/t/frame/members/d", "-"}, false},
		{"drawn twice", []string{"/trailers/t/frame/members/l2", `{"order":9,"name":"L2","from":{"back":0.3,"right":-0.6},
			"to":{"back":2.2,"right":-0.6},"profile":` + rail + `}`}, false},
		{"doubled beside", []string{"/trailers/t/frame/members/l2", `{"order":9,"name":"L2","from":{"back":0.3,"right":-0.64},
			"to":{"back":2.2,"right":-0.64},"profile":` + rail + `}`}, true},
		{"a rail in two pieces", []string{"/trailers/t/frame/members/l/to/back", "1.25", "/trailers/t/frame/members/l2", `{"order":9,"name":"L2",
			"from":{"back":1.25,"right":-0.6},"to":{"back":2.5,"right":-0.6},"profile":` + rail + `}`}, true},
		{"a wall too thick", []string{"/trailers/t/frame/members/a/profile/wall", "0.03"}, false},
	} {
		r := drawn(t, c.sets...)
		if got := r.EmptyWay == "from the drawing"; got != c.drawn {
			t.Errorf("%s: %q", c.name, r.EmptyWay)
		}
	}
}

// The same frame mirrored bears the same, with the wheels' shares changed about.
func TestMirrored(t *testing.T) {
	var doc map[string]any
	if err := json.Unmarshal([]byte(frame), &doc); err != nil {
		t.Fatal(err)
	}
	for _, m := range doc["members"].(map[string]any) {
		for _, end := range []string{"from", "to"} {
			p := m.(map[string]any)[end].(map[string]any)
			p["right"] = -p["right"].(float64)
		}
	}
	data, err := json.Marshal(doc)
	if err != nil {
		t.Fatal(err)
	}
	a, b := drawn(t), drawn(t, "/trailers/t/frame", string(data))
	if math.Abs(a.Bears.Ball.Nominal-b.Bears.Ball.Nominal) > 1e-9 || len(a.Drawn.Touches) != len(b.Drawn.Touches) {
		t.Errorf("%v mirrored is %v", a.Bears.Ball, b.Bears.Ball)
	}
}
