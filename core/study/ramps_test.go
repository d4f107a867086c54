package study_test

import (
	"context"
	"strings"
	"testing"

	"zygonos/core/ask/ramp"
	"zygonos/core/internal/sample"
	"zygonos/core/lang/finding"
	"zygonos/core/plan"
	"zygonos/core/review"
	"zygonos/core/rig"
	"zygonos/core/study"
)

func hut(t testing.TB) *plan.Plan {
	t.Helper()
	return sample.Demo(t, "skarrow-hut")
}

// Every place that is offered applies; upright the ramps stand at the tail, so the ball
// bears least there; what they weigh is the same everywhere.
func TestPlaceRamps(t *testing.T) {
	p := hut(t)
	q := review.Request{Outing: "two-seater-day"}
	a := study.PlaceRamps(p, q)
	if len(a.Options) < 3 {
		t.Fatalf("%d places: %s", len(a.Options), a.Says.Text(p.Locale()))
	}
	ball := map[string]float64{}
	for _, o := range a.Options {
		next, err := plan.Apply(p, o.Patch)
		if err != nil {
			t.Fatal(err)
		}
		r := rig.Resolve(next, "grey-flatbed", "two-seater-day")
		ball[o.Kind] = r.Bears.Ball.Nominal
		if got, want := r.Total().Nominal, rig.Resolve(p, "grey-flatbed", "two-seater-day").Total().Nominal; got != want {
			t.Errorf("%s: the rig weighs %v, not %v", o.Kind, got, want)
		}
		// 32 kg with its middle at x: 32·(2.85 − x)/2.85 on the ball, beside the rest.
		for _, it := range r.Items {
			if it.ID == "ramps" && o.Figures[0].Then.Value != ball[o.Kind] {
				t.Errorf("%s: told %v, is %v", o.Kind, o.Figures[0].Then.Value, ball[o.Kind])
			}
		}
	}
	if !(ball["upright"] < ball["under"] && ball["upright"] < ball["deck"]) {
		t.Errorf("%v", ball)
	}
	if b, ok := ball["drawbar"]; ok {
		t.Errorf("1.5 m of ramp on a drawbar of 1.25 m: %v", b)
	}
	if a := study.PlaceRamps(p, review.Request{Outing: "gravel-day"}); len(a.Options) != 0 || !strings.Contains(a.Says.Text(p.Locale()), "No ramps in this outing yet") {
		t.Error(a.Says.Text(p.Locale()))
	}
}

// Where the axle stands is nothing to where ramps lie, but without it no place is said to hold.
func TestRampPlacesWithoutAnAxle(t *testing.T) {
	p := hut(t)
	trailer := p.Trailers["grey-flatbed"]
	trailer.CouplingToAxle = nil
	p.Trailers["grey-flatbed"] = trailer
	a := study.PlaceRamps(p, review.Request{Outing: "two-seater-day"})
	if len(a.Options) == 0 {
		t.Fatal(a.Says.Text(p.Locale()))
	}
	for _, o := range a.Options {
		if o.Outcome == finding.Holds {
			t.Errorf("%s holds", o.Kind)
		}
	}
}

// Steep ramps are offered longer ones, a bare lip its pins; what is offered holds.
func TestOntoRamp(t *testing.T) {
	p := hut(t)
	rep := study.Settled(context.Background(), p, review.Request{Outing: "two-seater-day"})
	fixed := map[string]string{}
	for _, f := range rep.Findings {
		for _, x := range f.Fixes {
			fixed[f.Code] += x.Name.Text(p.Locale()) + "; "
			if x.Outcome == finding.Fails {
				t.Errorf("%s: %s fails", f.Code, x.Name.Text(p.Locale()))
			}
		}
	}
	// 0.56 m at 18° takes 1.812 m, in steps of 50 mm 1.85.
	for code, want := range map[string]string{ramp.CodeAngle: "ramps of 1850 mm", ramp.CodeHold: "pins"} {
		if !strings.Contains(fixed[code], want) {
			t.Errorf("%s: %q", code, fixed[code])
		}
	}
	if rep.Drive == nil || len(rep.Drive.Steps) == 0 || len(rep.Drive.On) == 0 {
		t.Error("no drive in the report")
	}
}

// Each check of getting on has its own way out, and it mends what it says.
func TestWaysOntoRamp(t *testing.T) {
	at := "/outings/two-seater-day/layouts/grey-flatbed/loading"
	winch := map[string]any{"back": 0.0, "up": 0.3, "pull": 150.0}
	strong := map[string]any{"back": 0.0, "up": 0.3, "pull": 240.0}
	locked := map[string]any{"back": 0.0, "up": 0.3, "pull": 2000.0, "wheels": "locked"}
	for name, c := range map[string]struct {
		patch      []finding.Op
		code, ways string
	}{
		"unhitched":         {[]finding.Op{{Op: "add", Path: at + "/unhitched", Value: true}}, ramp.CodeTip, "hitch it first"},
		"tips, props":       {[]finding.Op{{Op: "add", Path: at + "/unhitched", Value: true}}, ramp.CodeTip, "rear props"},
		"weak winch":        {[]finding.Op{{Op: "add", Path: at + "/drive", Value: "winch"}, {Op: "add", Path: at + "/winch", Value: winch}}, ramp.CodeWinch, "filled"},
		"little in reserve": {[]finding.Op{{Op: "add", Path: at + "/drive", Value: "winch"}, {Op: "add", Path: at + "/winch", Value: strong}}, ramp.CodeWinch, "block"},
		"locked wheels":     {[]finding.Op{{Op: "add", Path: at + "/drive", Value: "winch"}, {Op: "add", Path: at + "/winch", Value: locked}}, ramp.CodeWinch, "freed"},
		"low belly":         {[]finding.Op{{Op: "add", Path: "/loads/two-seater/rolling", Value: map[string]any{"clearance": map[string]any{"value": 0.14, "how": "weighed"}}}}, ramp.CodeClear, "ramps of"},
		"low belly, raised": {[]finding.Op{{Op: "add", Path: "/loads/two-seater/rolling", Value: map[string]any{"clearance": map[string]any{"value": 0.18, "how": "weighed"}}}}, ramp.CodeClear, "raised by"},
		"too short":         {[]finding.Op{{Op: "add", Path: "/parts/ramps/ramp/length", Value: 0.4}}, ramp.CodeSetup, "ramps of"},
	} {
		p, err := plan.Apply(hut(t), c.patch)
		if err != nil {
			t.Fatal(err)
		}
		q := review.Request{Outing: "two-seater-day"}
		rep := study.Settled(context.Background(), p, q)
		found := false
		for i := range rep.Findings {
			f := &rep.Findings[i]
			if f.Code != c.code {
				continue
			}
			before := f.Outcome
			if f.Softened {
				before = finding.Fails
			}
			for _, x := range f.Fixes {
				if !strings.Contains(x.Name.Text(p.Locale()), c.ways) {
					continue
				}
				found = true
				next, err := plan.Apply(p, x.Patch)
				if err != nil {
					t.Fatal(err)
				}
				after := review.Again(next, q)
				for k := range after.Findings {
					if g := &after.Findings[k]; g.Code == c.code && g.Outcome.Rank() <= before.Rank() {
						t.Errorf("%s: %s before, %s after %q", name, f.Outcome, g.Outcome, x.Name.Text(p.Locale()))
					}
				}
			}
		}
		if !found {
			t.Errorf("%s: %q is not offered", name, c.ways)
		}
	}
}
