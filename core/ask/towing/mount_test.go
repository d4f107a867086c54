package towing_test

import (
	"testing"

	"zygonos/core/ask/balance"
	"zygonos/core/ask/towing"
	"zygonos/core/internal/sample"
	"zygonos/core/lang/finding"
	"zygonos/core/rig"
)

// The sample puts 650 kg on the ball's pull and 60 kg on the ball. A ball mount has limits of its
// own; one without a label leaves its links open; and its ball counts instead of the car's.
func TestBallMount(t *testing.T) {
	for _, c := range []struct {
		mount string
		tow   finding.Outcome
		ball  finding.Outcome
		stamp finding.Outcome
	}{
		{`{"order":1,"name":"M","tow":700,"ball":70}`, finding.Holds, finding.Holds, finding.Holds},
		{`{"order":1,"name":"M","tow":600,"ball":70}`, finding.Fails, finding.Holds, finding.Holds},
		{`{"order":1,"name":"M","tow":700,"ball":50}`, finding.Holds, finding.Fails, finding.Holds},
		{`{"order":1,"name":"M"}`, finding.Unknown, finding.Unknown, finding.Holds},
		{`{"order":1,"name":"M","tow":700,"ball":70,"ballRating":600}`, finding.Holds, finding.Holds, finding.Fails},
	} {
		p := sample.Plan(t, "/ballMounts", `{"m":`+c.mount+`}`, "/towVehicles/car/mount", `"m"`)
		r := rig.Resolve(p, "t", "o")
		res := towing.Check(r)
		for code, want := range map[string]finding.Outcome{"mount": c.tow, "mount-ball": c.ball, "ball": c.stamp} {
			if f := sample.Find(t, res.Findings, towing.CodeLink+code); f.Outcome != want {
				t.Errorf("%s: %s is %s, want %s", c.mount, code, f.Outcome, want)
			}
		}
	}
	// its limit joins those that the ball load is held against
	p := sample.Plan(t, "/ballMounts", `{"m":{"order":1,"name":"M","ball":40}}`, "/towVehicles/car/mount", `"m"`)
	least := 1e9
	for _, l := range balance.BallLimits(rig.Resolve(p, "t", "o")) {
		least = min(least, l.Limit)
	}
	if least != 40 {
		t.Errorf("the least limit on the ball load is %v", least)
	}
	// and the ball's height moves with it
	p = sample.Plan(t, "/ballMounts", `{"m":{"order":1,"name":"M","ballHeight":0.31}}`,
		"/towVehicles/car/mount", `"m"`, "/towVehicles/car/ballHeight", `0.44`)
	if h := rig.Resolve(p, "t", "o").BallHeight(); h != 0.31 {
		t.Errorf("ball height %v", h)
	}
	if p.TowVehicles["car"].BallHeight == nil || *p.TowVehicles["car"].BallHeight != 0.44 {
		t.Error("the plan's car was changed")
	}
}
