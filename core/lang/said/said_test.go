package said_test

import (
	"fmt"
	"testing"

	"zygonos/core/lang/quantity"
	"zygonos/core/lang/said"
)

func TestSay(t *testing.T) {
	na := quantity.Locale{Units: quantity.Imperial, Region: quantity.NorthAmerica}
	nz := quantity.Locale{Units: quantity.Metric, Region: quantity.NewZealand}
	r := quantity.Range[quantity.Mass]{Nominal: 31, Low: 25, High: 40}
	for _, c := range []struct {
		say    said.Sentence
		na, nz string
	}{
		{said.Say("{Ball load} %, below the window", said.Mass(31.0)), "Tongue weight 68 lb, below the window", "Ball weight 31 kg, below the window"},
		{said.Say("% on the {tyre}", said.Between(quantity.KindMass, r)), "68 lb (55 lb to 88 lb) on the tire", "31 kg (25 kg to 40 kg) on the tyre"},
		{said.Say("the % weighs %", said.Name("<b>skiff", "load"), said.Mass(48.0)), "the <b>skiff weighs 106 lb", "the <b>skiff weighs 48 kg"},
		{said.Say("%", said.Name("  ", "the load")), "the load", "the load"},
		{said.Say("{no such word} {open", said.Count(2)), "no such word {open", "no such word {open"},
	} {
		if got := c.say.Text(na); got != c.na {
			t.Errorf("got %q, want %q", got, c.na)
		}
		if got := c.say.Text(nz); got != c.nz {
			t.Errorf("got %q, want %q", got, c.nz)
		}
	}
}

func TestTermsComplete(t *testing.T) {
	for key, words := range said.Terms {
		for _, r := range quantity.Regions {
			if words[r] == "" {
				t.Errorf("%s has no word for %s", key, r)
			}
		}
	}
}

func ExampleSay() {
	s := said.Say("slide % forward by %", said.Name("gravel box", "load"), said.Length(0.16))
	fmt.Println(s.Text(quantity.Locale{Units: quantity.Imperial, Region: quantity.UK}))
	// Output: slide gravel box forward by 6 1/4"
}

// A figure that is always the same is printed in the plan's units; what is none stands as it is.
func TestFixedFigures(t *testing.T) {
	us := quantity.Locale{Units: quantity.Imperial, Region: quantity.NorthAmerica}
	uk := quantity.Locale{Units: quantity.Metric, Region: quantity.UK}
	for _, c := range []struct{ pattern, metric, imperial string }{
		{"again after [50 km].", "again after 50 km.", "again after 31 mi."},
		{"by over [3 mm]?", "by over 3 mm?", "by over 0.118\"?"},
		{"under [100 kg] of % and [10 m]", "under 100 kg of x and 10 m", "under 220 lb of x and 32' 9 3/4\""},
		{"less than [3 K]", "less than 3 K", "less than 5 °F"},
		{"as [it is]", "as it is", "as it is"},
		{"open [50 km", "open [50 km", "open [50 km"},
	} {
		s := said.Say(c.pattern, said.Piece{Text: "x"})
		if a, b := s.Text(uk), s.Text(us); a != c.metric || b != c.imperial {
			t.Errorf("%q: %q, %q", c.pattern, a, b)
		}
	}
}
