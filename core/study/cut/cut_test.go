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

// All starters are whole: every member meets another, and the coupling is reached.
func TestBegun(t *testing.T) {
	for _, kind := range []string{"beam", "a-frame", "camper", "kit"} {
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

// What the car carries: two rails of 2.5 m out of a bar of 6 come home in 3 m lengths as 2.5 and
// 2.5 + 0.9950 − … only where that fits; lengths and cuts make the whole bar, each is short enough, and a
// piece longer than the car carries is stated.
func TestHome(t *testing.T) {
	p := begun(t, "beam")
	f := p.Trailers["t"].Frame
	carry, mass := quantity.Length(3), quantity.Mass(20)
	f.Carry, f.CarryMass = &carry, &mass
	c := cut.Frame(context.Background(), p, "t")
	for _, s := range c.Sections {
		for _, b := range s.Bars {
			if b.Length.Value > 3 && len(b.Home) < 2 {
				t.Errorf("%v m comes home as %v", b.Length.Value, b.Home)
			}
			sum := 0.0
			for _, h := range b.Home {
				sum += h.Value
				if h.Value > 3+1e-9 {
					t.Errorf("%v m on a car that carries 3", h.Value)
				}
			}
			if sum > b.Length.Value+1e-9 || sum < b.Length.Value-0.0026*float64(len(b.Home)) {
				t.Errorf("%v m of %v", sum, b.Length.Value)
			}
		}
	}
	if want := int(math.Ceil(c.Mass.Value / 20)); c.Drives != want || want < 2 {
		t.Errorf("%d drives for %v kg", c.Drives, c.Mass.Value)
	}
	carry = 2
	long := 0
	for _, s := range cut.Frame(context.Background(), p, "t").Sections {
		for _, b := range s.Bars {
			if b.TooLong {
				long++
			}
		}
	}
	if long == 0 {
		t.Error("a rail of 2.5 m on a car that carries 2")
	}
}

// A bar as it arrived: 30 mm cut off its ends leave less to cut from, a bow and a thin wall are stated.
func TestArrived(t *testing.T) {
	p := begun(t, "beam")
	f := p.Trailers["t"].Frame
	rail := f.Members["rail-left"].Profile
	one, trim, bow, wall := 1, quantity.Length(0.03), quantity.Length(0.02), rail.Wall*0.85
	f.Bars = map[string]plan.BarStock{"x": {Order: 1, Profile: rail, Length: 5.01, Have: &one}}
	fromHand := func() bool { // both rails
		for _, s := range cut.Frame(context.Background(), p, "t").Sections {
			if m := s.Bars[0].Pieces[0].Member; m == "rail-left" || m == "rail-right" {
				return len(s.Bars) == 1 && s.Bars[0].Have
			}
		}
		return false
	}
	if !fromHand() { // 2·2.5 + 2.5 mm
		t.Error("5.01 m do not make two rails")
	}
	f.Bars["x"] = plan.BarStock{Order: 1, Profile: rail, Length: 5.01, Have: &one, Trim: &trim, Bow: &bow, Wall: &wall}
	if fromHand() {
		t.Error("4.98 m make two rails")
	}
	notes := 0
	for _, s := range cut.Frame(context.Background(), p, "t").Sections {
		notes += len(s.Notes)
	}
	if notes != 2 {
		t.Errorf("%d notes", notes)
	}
}

// Every end is cut at one of the saw's settings.
func TestSaw(t *testing.T) {
	p := begun(t, "a-frame")
	c := cut.Frame(context.Background(), p, "t")
	ends := 0
	for _, s := range c.Saw {
		ends += s.Ends
	}
	if want := 2 * len(p.Trailers["t"].Frame.Members); ends != want || len(c.Saw[0].Says) == 0 {
		t.Errorf("%d ends of %d: %+v", ends, want, c.Saw)
	}
}

// Pieces that are cut are taken first and need no bar; when the deck gets longer the rails that are cut fit no
// more: they are stated with what they cost, and shorter pieces come out of them.
func TestSawn(t *testing.T) {
	p := begun(t, "beam")
	f := p.Trailers["t"].Frame
	ctx := context.Background()
	was := cut.Frame(ctx, p, "t")
	price := quantity.Money(5)
	one := 1
	f.Bars = map[string]plan.BarStock{}
	for i, id := range []string{"rail-left", "rail-right", "cross-1", "cross-2"} {
		m := f.Members[id]
		m.Profile.PerMetre = &price
		f.Members[id] = m
		length := quantity.Length(2.5)
		if i > 1 {
			length = quantity.Length(parts.FrameBars(f)[2].Length)
		}
		f.Bars[id] = plan.BarStock{Order: i + 1, Profile: m.Profile, Length: length, Have: &one, Sawn: m.Name}
	}
	c := cut.Frame(ctx, p, "t")
	done := 0
	for _, s := range c.Sections {
		done += len(s.Done)
	}
	if c.Sawn != 4 || done != 4 || len(c.Lost) != 0 || c.Bought.Value > was.Bought.Value-6+1e-9 {
		t.Fatalf("%d cut, %d fit, lost %v, bought %v of %v", c.Sawn, done, c.Lost, c.Bought.Value, was.Bought.Value)
	}
	ops, err := begin.Patch(p, &begin.Asked{What: "stretch", Kind: "longer", By: 0.3, At: 0.3, Trailer: "t"})
	if err != nil {
		t.Fatal(err)
	}
	if p, err = plan.Apply(p, ops); err != nil {
		t.Fatal(err)
	}
	c = cut.Frame(ctx, p, "t")
	if len(c.Lost) != 2 || c.LostCost == nil || math.Abs(c.LostCost.Value-2*2.5*5) > 1e-9 || c.Sawn != 2 {
		t.Errorf("%d fit, lost %+v %+v", c.Sawn, c.Lost, c.LostCost)
	}
}
