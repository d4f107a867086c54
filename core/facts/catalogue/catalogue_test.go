package catalogue_test

import (
	"testing"

	"zygonos/core/facts/catalogue"
	"zygonos/core/lang/quantity"
)

func TestRanges(t *testing.T) {
	seen := map[string]bool{}
	for _, k := range catalogue.Trailers {
		if k.Low <= 0 || k.High <= k.Low || k.BallLow <= 0 || k.BallTop <= k.BallLow || k.BallTop > 0.25 || k.Name == "" || seen[k.ID] {
			t.Errorf("%+v", k)
		}
		seen[k.ID] = true
		if got, ok := catalogue.TrailerOf(k.ID); !ok || got != k {
			t.Errorf("%s is not found", k.ID)
		}
	}
	for _, k := range catalogue.Loads {
		if k.Low <= 0 || k.High <= k.Low || k.Length <= 0 || k.Width <= 0 || k.Height <= 0 || k.Name == "" || seen[k.ID] {
			t.Errorf("%+v", k)
		}
		seen[k.ID] = true
		if k.Shape != "box" && k.Shape != "hull" && k.Shape != "wheels" && k.Shape != "heap" {
			t.Errorf("%s is drawn as %q", k.ID, k.Shape)
		}
		if got, ok := catalogue.LoadOf(k.ID); !ok || got != k {
			t.Errorf("%s is not found", k.ID)
		}
	}
}

// Without a kind the deck's length names the usual one; without either none is.
func TestTrailerFor(t *testing.T) {
	for _, c := range []struct {
		id   string
		deck float64
		want string
	}{{"", 1.8, "box-small"}, {"", 2.1, "box-small"}, {"", 2.4, "utility"}, {"", 3.2, "utility"}, {"", 4, "utility-large"}, {"boat", 2, "boat"}} {
		if k, ok := catalogue.TrailerFor(c.id, quantity.Length(c.deck)); !ok || k.ID != c.want {
			t.Errorf("%+v: %s", c, k.ID)
		}
	}
	if _, ok := catalogue.TrailerFor("", 0); ok {
		t.Error("a kind was made of nothing")
	}
	if _, ok := catalogue.TrailerFor("hovercraft", 2); ok {
		t.Error("an unknown kind was found")
	}
}
