package study_test

import (
	"context"
	"testing"

	"zygonos/core/internal/sample"
	"zygonos/core/lang/finding"
	"zygonos/core/lang/quantity"
	"zygonos/core/plan"
	"zygonos/core/study"
)

// The lock's frame: on rubble day a rail fails, so nothing is cut; with deeper rails and approval asked, what
// fails is gone from the frame's own checks. What no sum answers stays open until the owner has asked.
func TestBeforeCut(t *testing.T) {
	p := sample.Demo(t, "ostrel-lock")
	codes := func(g *study.CutGate) map[string]finding.Outcome {
		out := map[string]finding.Outcome{}
		for _, f := range g.Open {
			out[f.Code] = f.Outcome
		}
		return out
	}
	g := study.BeforeCut(context.Background(), p, "lock-trailer")
	open := codes(g)
	if g.Outcome != finding.Fails || open["frame.strength"] != finding.Fails || open["frame.asked"] != finding.Unknown {
		t.Errorf("%s: %v", g.Outcome, open)
	}
	if g.Holds+len(g.Open) != g.Of {
		t.Errorf("%d hold, %d open, of %d", g.Holds, len(g.Open), g.Of)
	}
	frame := p.Trailers["lock-trailer"].Frame
	frame.Asked = true
	holes, place, top := quantity.Length(0.06), quantity.Length(0.5), quantity.Length(0.8)
	frame.HeadHoles, frame.Jockey, frame.JockeyTop = &holes, &place, &top
	for id, v := range p.TowVehicles {
		v.GateReach = &holes
		p.TowVehicles[id] = v
	}
	for id, m := range frame.Members {
		if m.Role == plan.RoleRail {
			m.Profile.Height, m.Profile.Width, m.Profile.Wall = 0.1, 0.05, 0.004
			frame.Members[id] = m
		}
		if m.Role == plan.RoleDrawbar { // under the deeper rails
			m.From.Up, m.To.Up = -0.1, -0.1
			frame.Members[id] = m
		}
	}
	open = codes(study.BeforeCut(context.Background(), p, "lock-trailer"))
	for code := range open {
		if len(code) > 6 && code[:6] == "frame." {
			t.Errorf("%s is still %s", code, open[code])
		}
	}
	if g := study.BeforeCut(context.Background(), p, "none"); g.Outcome != finding.Unknown {
		t.Errorf("no trailer: %s", g.Outcome)
	}
}
