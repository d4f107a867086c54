package departure_test

import (
	"context"
	"strings"
	"testing"

	"zygonos/core/ask/stance"
	"zygonos/core/internal/sample"
	"zygonos/core/lang/finding"
	"zygonos/core/out/departure"
	"zygonos/core/plan"
	"zygonos/core/review"
	"zygonos/core/rig"
	"zygonos/demo"
)

func text(c *departure.Card, p *plan.Plan) string {
	var b strings.Builder
	for _, s := range c.Sections {
		b.WriteString(s.Name + "\n")
		for _, t := range s.Ticks {
			b.WriteString(t.ID + ": " + t.Says.Text(p.Locale()) + "\n")
		}
	}
	return b.String()
}

// The sample's crate stands 750 mm behind the board, on a ball of 50 mm; 60 kg on the ball
// is the middle of nothing stated. No chains are stated short: one is.
func TestCard(t *testing.T) {
	p := sample.Plan(t, "/trailers/t/couplingHeight", `0.45`, "/trailers/t/breakaway", `true`, "/outings/o/speed", `20`)
	low, high := 50.0, 70.0
	c := departure.Of(rig.Resolve(p, "t", "o"), nil, &low, &high, nil)
	got := text(c, p)
	for _, want := range []string{"Crate: front 750 mm behind the front board", "should show about 60 kg (50 kg to 70 kg is right)", "Ball of 50 mm", "Chains crossed", "Breakaway cable to the car", "After 10 km to 20 km", "Level when hitched: the coupling head near 450 mm"} {
		if !strings.Contains(got, want) {
			t.Errorf("the card does not say %q:\n%s", want, got)
		}
	}
	// On springs that sink 18 mm the coupling is as much lower; the tyres' pressure is that for
	// the load: the check says 1.8 bar, not the wall's 3.
	sits := sample.Plan(t, "/trailers/t/couplingHeight", `0.45`, "/trailers/t/sinks", `0.04`, "/trailers/t/tyrePressure", `300000`, "/trailers/t/deckHeight", `{"value":0.6,"how":"weighed"}`)
	r := rig.Resolve(sits, "t", "o")
	laden := text(departure.Of(r, stance.Check(r), nil, nil, nil), sits)
	for _, want := range []string{"the coupling head near 432 mm up, as loaded", "cold at 1.8 bar or more for this load, at most the wall's 3 bar"} {
		if !strings.Contains(laden, want) {
			t.Errorf("the card does not say %q:\n%s", want, laden)
		}
	}
	if c.Most == nil || c.Most.Value != 20 || !strings.Contains(c.Because.Text(p.Locale()), "own") {
		t.Errorf("%v %s", c.Most, c.Because.Text(p.Locale()))
	}
	// Snaking that dies down slowly from 19.7 m/s on, 70.9 km/h: not over 70.
	calm := 19.7
	if c := departure.Of(rig.Resolve(p, "t", "o"), nil, nil, nil, &calm); c.Most == nil || c.Most.Value < 70/3.6-1e-9 || c.Most.Value > 70/3.6+1e-9 {
		t.Errorf("%v", c.Most)
	}
	seen := map[string]bool{}
	for _, s := range c.Sections {
		for _, x := range s.Ticks {
			if seen[x.ID] {
				t.Errorf("%s stands twice", x.ID)
			}
			seen[x.ID] = true
		}
	}
}

// A ball of 280 kg is over a bathroom scale of 130: a third of it, two thirds of a metre from
// the block on a plank of two.
func TestPlank(t *testing.T) {
	p := sample.Plan(t, sample.Crate+"/at/back", `0`, "/trailers/t/empty/ball/mass", `120`)
	c := departure.Of(rig.Resolve(p, "t", "o"), nil, nil, nil, nil)
	// 120 + 400·(2.5 − 1.5)/2.5 = 280 kg; half were 140.
	if got := text(c, p); !strings.Contains(got, "about 280 kg") || !strings.Contains(got, "667 mm from the block: it shows 93 kg") {
		t.Error(got)
	}
	if departure.Of(rig.Resolve(p, "t", ""), nil, nil, nil, nil) != nil {
		t.Error("a card for no outing")
	}
}

// The gate lists what fails and what is not tied; what holds is not in it.
func TestGate(t *testing.T) {
	data, _ := demo.Files.ReadFile("skarrow-hut.zygonos.json")
	p, err := plan.Read(data)
	if err != nil {
		t.Fatal(err)
	}
	layout := p.Outings["two-seater-day"].Layouts["grey-flatbed"]
	layout.Lashings = nil // nobody has tied the machine yet
	p.Outings["two-seater-day"].Layouts["grey-flatbed"] = layout
	rep := departure.Settle(context.Background(), p, review.Request{Outing: "two-seater-day"})
	codes := map[string]bool{}
	for _, f := range rep.Card.Gate {
		codes[f.Code] = true
		if f.Outcome == finding.Holds || f.Outcome == finding.Tight {
			t.Errorf("%s %s stands in the gate", f.Code, f.Outcome)
		}
	}
	// what the app placed and nobody confirmed stands against leaving
	left, err := plan.Apply(p, []finding.Op{{Op: "add", Path: "/outings/two-seater-day/layouts/grey-flatbed/placements/two-seater", Value: plan.Placement{On: plan.OnAny}}})
	if err != nil {
		t.Fatal(err)
	}
	unconfirmed := false
	for _, f := range departure.Settle(context.Background(), left, review.Request{Outing: "two-seater-day"}).Card.Gate {
		unconfirmed = unconfirmed || f.Code == review.CodePlaced
	}
	if !unconfirmed {
		t.Error("a machine that nobody placed does not stand against leaving")
	}
	thin, err := plan.Apply(p, []finding.Op{{Op: "replace", Path: "/parts/boat-rack/rack/bar", Value: plan.Profile{Shape: "tube", Height: 0.016, Width: 0.016, Wall: 0.001, Material: "mild"}}})
	if err != nil {
		t.Fatal(err)
	}
	bars := false
	for _, f := range departure.Settle(context.Background(), thin, review.Request{Outing: "boat-day"}).Card.Gate {
		bars = bars || f.Code == "rack.bar"
	}
	if !bars {
		t.Error("bars that fail do not stand against leaving")
	}
	if !codes["tie.rule"] {
		t.Errorf("an untied load does not stand in the gate: %v", codes)
	}
	if got := text(rep.Card, p); !strings.Contains(got, "Stop with the front wheels") || !strings.Contains(got, "Ramps and props stowed") {
		t.Error(got)
	}
}

// Loose material asks for its cover, what reaches far for its flag, a bolted rack for its pins.
func TestWalk(t *testing.T) {
	data, _ := demo.Files.ReadFile("skarrow-hut.zygonos.json")
	p, err := plan.Read(data)
	if err != nil {
		t.Fatal(err)
	}
	plan.Clean(p)
	for outing, want := range map[string]string{"gravel-day": "Net or tarpaulin over the load", "boat-day": "six pins in and secured"} {
		if got := text(departure.Of(rig.Resolve(p, "grey-flatbed", outing), nil, nil, nil, nil), p); !strings.Contains(got, want) {
			t.Errorf("%s does not say %q:\n%s", outing, want, got)
		}
	}
	if got := text(departure.Of(rig.Resolve(p, "grey-flatbed", "boat-day"), nil, nil, nil, nil), p); !strings.Contains(got, "Flag or board at the end of") {
		t.Error(got)
	}
}

// Of a trailer that is known by its kind alone the card begins with what to tape.
func TestCardOfUsualLengths(t *testing.T) {
	p := sample.Plan(t, "/trailers/t/kind", `"utility"`, "/trailers/t/deckLength", "null", "/trailers/t/deckWidth", "null")
	c := departure.Settle(context.Background(), p, review.Request{}).Card
	if got := c.Sections[0].Ticks[0].Says.Text(p.Locale()); !strings.HasPrefix(got, "Not taped yet: the deck's length") ||
		!strings.HasSuffix(got, "are rough.") {
		t.Error(got)
	}
	p = sample.Plan(t)
	if c := departure.Settle(context.Background(), p, review.Request{}).Card; c.Sections[0].Name == "Tape first" {
		t.Error("all is taped")
	}
}
