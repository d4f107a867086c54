package study_test

import (
	"context"
	"math"
	"strings"
	"testing"
	"time"

	"zygonos/core/ask/frame"
	"zygonos/core/internal/sample"
	"zygonos/core/lang/finding"
	"zygonos/core/lang/quantity"
	"zygonos/core/parts"
	"zygonos/core/plan"
	"zygonos/core/review"
	"zygonos/core/study"
)

// built is the sample as a trailer that is still to be built.
func built(t testing.TB, sets ...string) *plan.Plan {
	t.Helper()
	return sample.Plan(t, append([]string{
		"/trailers/t/empty", "{}", "/trailers/t/runningGear", `{"value":70,"plusMinus":5,"how":"maker"}`,
		"/trailers/t/deckHeight", `{"value":0.55,"plusMinus":0,"how":"weighed"}`, "/trailers/t/couplingHeight", "0.45",
		"/trailers/t/suspension", `"leaf"`,
	}, sets...)...)
}

// Frames that are found hold when each is judged again alone, with the figures that were stated; best first; and
// one section lighter in any role fails.
func TestFindFrame(t *testing.T) {
	p := built(t)
	begun := time.Now()
	d := study.FindFrame(context.Background(), p, "t", study.AimMass, nil)
	t.Logf("%d tried in %v", d.Tried, time.Since(begun))
	if len(d.Answers) < 2 || d.Stopped {
		t.Fatalf("%+v", d)
	}
	for i, a := range d.Answers {
		q, err := plan.Apply(p, a.Patch)
		if err != nil {
			t.Fatal(err)
		}
		if bad := plan.Clean(q); len(bad) > 0 {
			t.Fatal(bad)
		}
		if mass, _ := parts.FrameMass(q.Trailers["t"].Frame); math.Abs(mass-a.Mass.Value) > 1e-9 {
			t.Errorf("weighs %v, told %v", mass, a.Mass.Value)
		}
		rep := review.Review(q, review.Request{Outing: "o", Trailer: "t"})
		rep.Settle()
		seen := 0
		for _, f := range rep.Findings {
			switch f.Code {
			case frame.CodeStrength, frame.CodeCases, frame.CodeBend:
				seen++
				if f.Outcome == finding.Fails || f.Figure == nil || f.Figure.Value > f.Limit.Value*(1+1e-9) {
					t.Errorf("%s: %s %s", a.Says.Text(p.Locale()), f.Code, f.Says.Text(p.Locale()))
				}
			}
		}
		if seen != 3 || len(a.Bound) != 3 || len(a.Sections) != 3 || a.Payload == nil {
			t.Errorf("%d checks of the frame; %+v", seen, a)
		}
		if i > 0 && i < 2 && a.Mass.Value < d.Answers[0].Mass.Value-1e-9 {
			t.Errorf("the first weighs more than the next")
		}
		for j := range i {
			if d.Answers[j].Says.Text(p.Locale()) == a.Says.Text(p.Locale()) {
				t.Errorf("twice the same: %s", a.Says.Text(p.Locale()))
			}
		}
	}
}

// More to carry takes no lighter frame; out of bars on hand nothing is bought; by cost a price is asked for;
// stopped, it says so.
func TestFindFrameFor(t *testing.T) {
	ctx := context.Background()
	light := study.FindFrame(ctx, built(t, "/loads/crate/mass/value", "150"), "t", study.AimMass, nil)
	heavy := study.FindFrame(ctx, built(t, "/loads/crate/mass/value", "600"), "t", study.AimMass, nil)
	if len(light.Answers) == 0 || len(heavy.Answers) == 0 || light.Answers[0].Mass.Value > heavy.Answers[0].Mass.Value+1e-9 {
		t.Fatalf("light %+v heavy %+v", light.Says, heavy.Says)
	}
	if d := study.FindFrame(ctx, built(t), "t", study.AimCost, nil); len(d.Answers) > 0 || len(d.Needs) == 0 {
		t.Errorf("cost without a price: %+v", d)
	}
	priced := built(t, "/trailers/t/frame", `{"members":{},"perKg":1.6}`)
	if d := study.FindFrame(ctx, priced, "t", study.AimCost, nil); len(d.Answers) == 0 || d.Answers[0].Cost == nil ||
		math.Abs(d.Answers[0].Cost.Value-1.6*d.Answers[0].Mass.Value) > 1e-6 {
		t.Errorf("by cost: %+v", d.Says.Text(quantity.Locale{}))
	}
	bars := `{"members":{},"bars":{"a":{"order":1,"profile":{"shape":"tube","height":0.08,"width":0.04,"wall":0.003,"material":"s235"},"length":6,"have":3},
		"b":{"order":2,"profile":{"shape":"tube","height":0.05,"width":0.05,"wall":0.003,"material":"s235"},"length":6,"have":3}}}`
	d := study.FindFrame(ctx, built(t, "/trailers/t/frame", bars), "t", study.AimHand, nil)
	if len(d.Answers) == 0 {
		t.Fatalf("out of six bars: %s", d.Says.Text(quantity.Locale{}))
	}
	few := `{"members":{},"bars":{"a":{"order":1,"profile":{"shape":"tube","height":0.08,"width":0.04,"wall":0.003,"material":"s235"},"length":3,"have":1}}}`
	if d := study.FindFrame(ctx, built(t, "/trailers/t/frame", few), "t", study.AimHand, nil); len(d.Answers) > 0 || !strings.Contains(d.Says.Text(quantity.Locale{}), "none can be cut from the bars") {
		t.Errorf("out of one bar: %+v", d.Answers[0])
	}
	read := built(t, "/trailers/t/frame", `{"members":{},"twistLoad":50,"twistDip":0.3,"asked":true}`)
	d = study.FindFrame(ctx, read, "t", study.AimMass, nil)
	if f := d.Answers[0].Patch[0].Value.(plan.Frame); f.TwistDip != nil || f.Asked {
		t.Error("another frame's reading is taken over")
	}
	gone, cancel := context.WithCancel(ctx)
	cancel()
	if d := study.FindFrame(gone, built(t), "t", study.AimMass, nil); !d.Stopped {
		t.Errorf("stopped: %+v", d)
	}
	if d := study.FindFrame(ctx, built(t, "/trailers/t/couplingToDeck", "-"), "t", study.AimMass, nil); len(d.Needs) == 0 {
		t.Errorf("without the deck's place: %s", d.Says.Text(quantity.Locale{}))
	}
}
