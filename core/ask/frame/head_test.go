package frame_test

import (
	"strings"
	"testing"

	"zygonos/core/ask/frame"
	"zygonos/core/internal/sample"
	"zygonos/core/lang/finding"
)

// The sample's drawbar is a tube 80 wide; its car stands 0.15 m before the ball where nothing is stated.
func TestBeforeCut(t *testing.T) {
	with := func(fields string) string { return `{` + fields + strings.TrimPrefix(doc(usual), "{") }
	gate := []string{"/towVehicles/car/gateReach", "0.6", "/towVehicles/car/gateHeight", "1.9", "/towVehicles/car/ballBehind", "0.2"}
	for _, c := range []struct {
		fields string
		more   []string
		code   string
		want   finding.Outcome
		figure float64
	}{
		{"", nil, frame.CodeHead, finding.Unknown, -1},
		{`"headTakes":0.08,`, nil, frame.CodeHead, finding.Holds, 0.08},
		{`"headTakes":0.07,`, nil, frame.CodeHead, finding.Fails, 0.08},
		{`"headTakes":0.1,`, nil, frame.CodeHead, finding.Tight, 0.08},
		{"", gate, frame.CodeJockey, finding.Unknown, -1},
		{`"jockey":0.5,`, gate, frame.CodeJockey, finding.Unknown, -1},
		{`"jockey":0.5,"jockeyTop":0.8,`, nil, frame.CodeJockey, finding.Unknown, -1},
		{`"jockey":0.5,"jockeyTop":0.8,`, gate, frame.CodeJockey, finding.Holds, 0.1},
		{`"jockey":0.35,"jockeyTop":0.8,`, gate, frame.CodeJockey, finding.Tight, -0.05},
		{`"jockey":0.35,"jockeyTop":2,`, gate, frame.CodeJockey, finding.Fails, -0.05},
		{`"jockey":0.35,"jockeyTop":0.5,`, gate, frame.CodeJockey, finding.Holds, -0.05},
	} {
		f := sample.Find(t, frame.BeforeCut(resolve(t, with(c.fields), c.more...)), c.code)
		if f.Outcome != c.want || c.figure != -1 && (f.Figure == nil || f.Figure.Value > c.figure+1e-9 || f.Figure.Value < c.figure-1e-9) {
			t.Errorf("%s %s: %s %+v, want %s %v", c.code, c.fields, f.Outcome, f.Figure, c.want, c.figure)
		}
		if f.Outcome == finding.Unknown && len(f.Needs) == 0 {
			t.Errorf("%s %s asks for nothing", c.code, c.fields)
		}
	}
}

// Two bars that run together 80 mm apart in their middles at the holes, 40 wide: holes 80 apart leave
// 20 − 6 = 14 mm beside each bolt, 60 apart 4, 40 apart miss.
func TestHeadOnTwo(t *testing.T) {
	d := doc(usual)
	at := strings.Index(d, `,"drawbar":{`)
	two := ""
	for _, side := range []string{"-", ""} {
		two += `,"bar` + side + `":{"order":9,"name":"bar` + side + `","role":"drawbar","from":{"back":-0.95,"right":` + side +
			`0.04,"up":-0.04},"to":{"back":1.27,"right":` + side + `0.04,"up":-0.04},"profile":{"shape":"tube","height":0.08,"width":0.04,"wall":0.003,"material":"s235"}}`
	}
	for _, c := range []struct {
		holes string
		want  finding.Outcome
	}{{"0.08", finding.Holds}, {"0.06", finding.Tight}, {"0.04", finding.Fails}} {
		frameOf := `{"headHoles":` + c.holes + `,` + strings.TrimPrefix(d[:at], "{") + two + "}}"
		if f := sample.Find(t, frame.BeforeCut(resolve(t, frameOf)), frame.CodeHead); f.Outcome != c.want {
			t.Errorf("holes %s apart: %s %+v", c.holes, f.Outcome, f.Figure)
		}
	}
}
