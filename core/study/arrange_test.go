package study_test

import (
	"context"
	"fmt"
	"strings"
	"testing"

	"zygonos/core/ask/balance"
	"zygonos/core/internal/sample"
	"zygonos/core/lang/finding"
	"zygonos/core/lang/quantity"
	"zygonos/core/plan"
	"zygonos/core/review"
	"zygonos/core/rig"
	"zygonos/core/study"
)

// crates adds n loads of l × w and m kg to the sample, all at the tail.
func crates(n int, l, w, m float64) []string {
	var sets []string
	for i := range n {
		id := fmt.Sprintf("box-%d", i)
		sets = append(sets, "/loads/"+id, fmt.Sprintf(`{"order":%d,"name":"Box %d","kind":"box","mass":{"value":%v,"plusMinus":0,"how":"weighed"},"size":{"length":{"value":%v,"how":"weighed"},"width":{"value":%v,"how":"weighed"},"height":{"value":0.4,"how":"weighed"}},"centre":{}}`, i+2, i, m, l, w),
			"/outings/o/layouts/t/placements/"+id, `{"on":"deck","at":{"back":2}}`)
	}
	return sets
}

// Whatever is offered applies, keeps what is pinned, stands on the deck without
// overlap, and brings the ball into its window.
func TestArrange(t *testing.T) {
	for name, sets := range map[string][]string{
		"crate":       {sample.Crate + "/at/back", "1.5"},
		"three boxes": append(crates(3, 0.5, 0.6, 30), "/loads/crate/mass/value", "250"),
		"pinned":      append(crates(2, 0.5, 0.6, 30), sample.Crate+"/pinned", "true", "/loads/crate/mass/value", "250"),
	} {
		p := sample.Plan(t, sets...)
		a := study.Arrange(context.Background(), p, review.Request{Outing: "o", Trailer: "t"}, nil)
		if len(a.Options) == 0 || !a.Options[0].Proven || a.Outcome == finding.Fails {
			t.Errorf("%s: %s", name, a.Says.Text(p.Locale()))
			continue
		}
		for _, o := range a.Options {
			after, err := plan.Apply(p, o.Patch)
			if err != nil {
				t.Fatal(err)
			}
			r := rig.Resolve(after, "t", "o")
			if balance.Misses(r) {
				t.Errorf("%s, %s: the ball misses its window", name, o.Kind)
			}
			// Load index 84: 500 kg a tyre.
			if b := r.Bears; b.Left.Nominal > 500 || b.Right.Nominal > 500 {
				t.Errorf("%s, %s: %v and %v on the wheels", name, o.Kind, b.Left.Nominal, b.Right.Nominal)
			}
			front, rear := r.Deck()
			for i := range r.Items {
				it := &r.Items[i]
				if it.Front < front-1e-6 || it.Rear > rear+1e-6 || it.Left < -0.7-1e-6 || it.Right > 0.7+1e-6 {
					t.Errorf("%s, %s: %s stands off the deck", name, o.Kind, it.Name)
				}
				for k := range i {
					if o := &r.Items[k]; it.Overlaps(o) && it.Front < o.Rear-1e-6 && o.Front < it.Rear-1e-6 {
						t.Errorf("%s: %s stands in %s", name, it.Name, o.Name)
					}
				}
			}
			if name == "pinned" && after.Outings["o"].Layouts["t"].Placements["crate"].At != p.Outings["o"].Layouts["t"].Placements["crate"].At {
				t.Error("a pinned load was moved")
			}
		}
	}
}

// The reason for which there is none, and by how much.
func TestImpossible(t *testing.T) {
	for name, c := range map[string]struct {
		sets []string
		says string
	}{
		// 1.5 × 1.5 m on a deck 1.4 m wide: 0.1 too wide.
		"too wide": {[]string{"/loads/crate/size/width/value", "1.5", "/loads/crate/size/length/value", "1.5"}, "100 mm wider than the deck"},
		// 250 kg with 20 on the ball and a crate of 400 kg, the deck from 2.2 m on: foremost,
		// turned to 0.8 m along, its middle stands at 2.6 m: 20 − 400·0.1/2.5 = 4 kg; 5 % of 650
		// is 32.5: 28.5 under it.
		"axle too far forward": {[]string{"/trailers/t/couplingToDeck/value", "2.2"}, "the ball carries 4 kg: 29 kg below its window"},
		"no room":              {append(crates(1, 1.3, 1.3, 10), sample.Crate+"/pinned", "true"), "No room is left for Box 0"},
		"nothing":              {[]string{sample.Crate, "-"}, "Nothing to place"},
		"no axle":              {[]string{"/trailers/t/couplingToAxle", "-"}, "Not known yet"},
		"no deck":              {[]string{"/trailers/t/deckLength", "-"}, "Not known yet: enter the deck's length."},
		"pinned":               {[]string{sample.Crate + "/pinned", "true"}, "every load is pinned"},
		"no window":            {[]string{"/towVehicles/car/ballLimit", "20"}, "No tongue weight fits"},
	} {
		p := sample.Plan(t, c.sets...)
		p.Region = quantity.NorthAmerica
		p.Units = quantity.Metric
		a := study.Arrange(context.Background(), p, review.Request{Outing: "o", Trailer: "t"}, nil)
		if says := a.Says.Text(p.Locale()); len(a.Options) != 0 || !strings.Contains(says, c.says) {
			t.Errorf("%s: %q", name, says)
		}
	}
}

// Seven boxes of 0.9 × 0.7 m cover 4.41 of 3.5 m²: the floor does not take them;
// lighter ones go on top of heavier.
func TestStacks(t *testing.T) {
	sets := []string{sample.Crate, "-"}
	for i := range 7 {
		sets = append(sets, crates(i+1, 0.9, 0.7, float64(20+10*i))[2*i:]...)
	}
	p := sample.Plan(t, sets...)
	a := study.Arrange(context.Background(), p, review.Request{Outing: "o", Trailer: "t"}, nil)
	if len(a.Options) == 0 || !strings.Contains(a.Says.Text(p.Locale()), "stacked") {
		t.Fatalf("%s", a.Says.Text(p.Locale()))
	}
	after, _ := plan.Apply(p, a.Options[0].Patch)
	r := rig.Resolve(after, "t", "o")
	for id, pl := range after.Outings["o"].Layouts["t"].Placements {
		if pl.On == plan.OnLoad && after.Loads[id].Mass.Value > after.Loads[pl.ID].Mass.Value {
			t.Errorf("%s rides on %s, which is lighter", id, pl.ID)
		}
	}
	if balance.Misses(r) {
		t.Error("the ball misses its window")
	}
}

// ended is a context whose time is up.
func ended() context.Context {
	ctx, cancel := context.WithCancel(context.Background())
	cancel()
	return ctx
}

func TestArrangeStops(t *testing.T) {
	p := sample.Demo(t, "skarrow-hut")
	a := study.Arrange(ended(), p, review.Request{Outing: "gravel-day"}, nil)
	if len(a.Options) > 0 || a.Outcome != finding.Unknown {
		t.Errorf("%+v", a)
	}
	if a := study.Arrange(context.Background(), p, review.Request{Outing: "gravel-day"}, nil); len(a.Options) == 0 {
		t.Errorf("%+v", a)
	}
}

// A settled report whose time is up says what it did not reach, and judges the outing asked for.
func TestSettledInTime(t *testing.T) {
	p := sample.Demo(t, "skarrow-hut")
	rep := study.Settled(ended(), p, review.Request{Outing: "gravel-day"})
	open := 0
	for _, f := range rep.Findings {
		if f.Outcome == finding.Fails || f.Tight == finding.LittleRoom {
			open++
		}
	}
	want := fmt.Sprintf("The time was up. Not looked at: ways out of %d checks and 2 other outings.", min(open, 6))
	if got := rep.NotLooked.Text(p.Locale()); rep.Headline.Outcome != finding.Fails || open < 2 || got != want {
		t.Errorf("%s %q, want %q", rep.Headline.Outcome, got, want)
	}
	if rep := study.Settled(context.Background(), p, review.Request{Outing: "gravel-day"}); len(rep.NotLooked) > 0 {
		t.Errorf("%s", rep.NotLooked.Text(p.Locale()))
	}
}
