package cut_test

import (
	"context"
	"math"
	"testing"

	"zygonos/core/begin"
	"zygonos/core/internal/sample"
	"zygonos/core/lang/quantity"
	"zygonos/core/parts"
	"zygonos/core/plan"
	"zygonos/core/study/cut"
)

// begun is the sample with the frame that a starter lays out: under a deck of 2.5 by 1.4 m two rails of 2.5 m,
// six cross members of 1.32 m, and a drawbar from 50 mm behind the ball, 1 m before the deck, to the
// fourth cross member, (1.46 + 0.04/2 + …) m long.
func begun(t *testing.T, kind string) *plan.Plan {
	t.Helper()
	p := sample.Plan(t)
	ops, err := begin.Patch(p, &begin.Asked{What: "frame", Kind: kind, Trailer: "t"})
	if err != nil {
		t.Fatal(err)
	}
	if p, err = plan.Apply(p, ops); err != nil {
		t.Fatal(err)
	}
	if bad := plan.Clean(p); len(bad) > 0 {
		t.Fatal(bad)
	}
	return p
}

// Five cross members of 1.32 m with four cuts of 2.5 mm make 6.61 m: four come out of a bar of 6 m. Six need
// one of 7.5 (five and 0.89 left) and … by the metre two of 6 m cost what 12 m cost, 7.5 + 6 more; so two
// of 6 m. The rails come out of one bar of 6 m, the drawbar out of one.
func TestCut(t *testing.T) {
	p := begun(t, "beam")
	c := cut.Frame(context.Background(), p, "t")
	if len(c.Sections) != 3 || c.Price != nil {
		t.Fatalf("%+v", c)
	}
	pieces := 0
	for _, s := range c.Sections {
		if !s.Proven || s.Priced || len(s.Fails) > 0 {
			t.Errorf("%+v", s)
		}
		for _, b := range s.Bars {
			used := b.Rest.Value
			for _, k := range b.Pieces {
				used += k.Length.Value + 0.0025
				pieces++
			}
			if used > b.Length.Value+0.0025+1e-9 {
				t.Errorf("%v m out of %v", used, b.Length.Value)
			}
		}
	}
	if want := len(p.Trailers["t"].Frame.Members); pieces != want {
		t.Errorf("%d pieces, %d members", pieces, want)
	}
	// 2·2.5 out of 6, 6·1.32 out of two of 6, the drawbar out of 6: 24 m
	if math.Abs(c.Bought.Value-24) > 1e-9 {
		t.Errorf("bought %v m", c.Bought.Value)
	}
}

// Priced, with an offcut on hand: the offcut is used first, and the sum is what the bars cost.
func TestPriced(t *testing.T) {
	p := begun(t, "beam")
	trailer := p.Trailers["t"]
	cross := trailer.Frame.Members["cross-1"].Profile
	price, one := quantity.Money(18), 1
	trailer.Frame.Bars = map[string]plan.BarStock{
		"bought": {Order: 1, Profile: cross, Length: 6, Price: &price},
		"rest":   {Order: 2, Profile: cross, Length: 2.7, Have: &one},
	}
	c := cut.Frame(context.Background(), p, "t")
	for _, s := range c.Sections {
		if !s.Priced {
			continue
		}
		// two out of the offcut, four out of one bar
		if s.Price.Value != 18 || len(s.Bars) != 2 || !s.Proven {
			t.Errorf("%+v", s)
		}
	}
	// shorter than a rail, the only bar that is sold cuts nothing
	long := trailer.Frame.Members["rail-left"].Profile
	trailer.Frame.Bars["short"] = plan.BarStock{Order: 3, Profile: long, Length: 2}
	if c := cut.Frame(context.Background(), p, "t"); len(c.Sections[0].Fails) == 0 {
		t.Errorf("a rail out of a bar of 2 m: %+v", c.Sections[0])
	}
}

// Both starters are whole: every member meets another, and the coupling is reached.
func TestBegun(t *testing.T) {
	for _, kind := range []string{"beam", "a-frame"} {
		p := begun(t, kind)
		bars := parts.FrameBars(p.Trailers["t"].Frame)
		met := map[int]bool{}
		for _, x := range parts.FrameTouches(bars) {
			met[x.A], met[x.B] = true, true
		}
		for i, b := range bars {
			if !met[i] {
				t.Errorf("%s: %s meets nothing", kind, b.ID)
			}
		}
	}
	if c := cut.Frame(context.Background(), sample.Plan(t), "t"); c != nil {
		t.Error("nothing is cut into something")
	}
}
