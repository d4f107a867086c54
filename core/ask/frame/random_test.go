package frame_test

import (
	"encoding/json"
	"math/rand/v2"
	"testing"

	"zygonos/core/ask/frame"
	"zygonos/core/internal/sample"
	"zygonos/core/lang/finding"
	"zygonos/core/lang/quantity"
	"zygonos/core/plan"
	"zygonos/core/rig"
)

// Frames drawn at random, most of them nonsense: every one gets a figure or says what is missing; nothing
// breaks off and no figure is none.
func TestRandomFrames(t *testing.T) {
	r := rand.New(rand.NewPCG(21, 3))
	shapes := []string{"tube", "round", "angle", "channel", "strut", "bar", "rod"}
	joints := []plan.MemberJoint{"", plan.JointBolt, plan.JointHinge}
	judged := 0
	for n := range 150 {
		p := sample.Plan(t, sets(doc(usual))...)
		f := p.Trailers["t"].Frame
		for id, m := range f.Members {
			switch r.IntN(9) {
			case 0:
				m.Profile.Shape = shapes[r.IntN(len(shapes))]
			case 1:
				m.From.Back += quantity.Length(r.NormFloat64() * 0.02)
			case 2:
				m.To.Right += quantity.Length(r.NormFloat64() * 0.02)
			case 3:
				m.FromJoint, m.ToJoint = joints[r.IntN(3)], joints[r.IntN(3)]
				m.Bolts, m.Bolt, m.BoltGauge = r.IntN(4), quantity.Length(r.Float64()*0.02), quantity.Length(r.Float64()*0.1)
			case 4:
				m.Roll = r.Float64()*6 - 3
			case 5:
				m.Profile.Material = []string{"c24", "al6082", "pe", "s355"}[r.IntN(4)]
			}
			if n%10 == 9 && r.IntN(4) == 0 {
				delete(f.Members, id)
				continue
			}
			f.Members[id] = m
		}
		if r.IntN(3) == 0 {
			x := p.Trailers["t"]
			x.Axles, x.Suspension = 1+r.IntN(3), plan.Suspensions[r.IntN(len(plan.Suspensions))]
			p.Trailers["t"] = x
		}
		plan.Clean(p)
		g := rig.Resolve(p, "t", "o")
		fs, picture := frame.Check(g)
		fs = append(fs, frame.Rest(g)...)
		if len(fs) == 0 {
			t.Fatalf("%d: nothing is said", n)
		}
		for _, x := range fs {
			if x.Outcome == finding.Unknown && len(x.Needs) == 0 {
				t.Errorf("%d: %s is not known and asks for nothing: %s", n, x.Code, x.Says.Text(p.Locale()))
			}
			if !x.Says.Finite() {
				t.Errorf("%d: %s says %s", n, x.Code, x.Says.Text(p.Locale()))
			}
			if x.Code == frame.CodeStrength && x.Figure != nil {
				judged++
			}
			if x.HasWork {
				x.Work()
			}
			frame.Ways(g, &x)
		}
		if _, err := json.Marshal([]any{fs, picture(), frame.Whole(g)}); err != nil { // no NaN, no infinity
			t.Errorf("%d: %v", n, err)
		}
	}
	if judged < 20 {
		t.Errorf("only %d frames were judged", judged)
	}
}
