package lending_test

import (
	"strings"
	"testing"

	"zygonos/core/internal/sample"
	"zygonos/core/lang/quantity"
	"zygonos/core/out/lending"
)

func text(c *lending.Card) string {
	var b strings.Builder
	for _, s := range c.Sections {
		b.WriteString(s.Name + ": ")
		for _, l := range s.Lines {
			b.WriteString(l.Text(quantity.Locale{Region: quantity.UK}) + " ")
		}
	}
	return b.String()
}

// The card says what the trailer has and nothing of what it lacks; what it carries is that of the empty trailer, whoever tows it.
func TestCard(t *testing.T) {
	p := sample.Plan(t, "/trailers/t/tyrePressure", "250000")
	c := lending.Of(p, "t")
	got := text(c)
	for _, want := range []string{"Carries: 500 kg", "2.5 bar cold", "Secondary coupling: crossed", "see its papers", "On the ball: "} {
		if !strings.Contains(strings.ToLower(got), strings.ToLower(want)) {
			t.Errorf("%q is missing in %s", want, got)
		}
	}
	for _, not := range []string{"tipping", "Ramps", "Winch", "car's kerb"} {
		if strings.Contains(got, not) {
			t.Errorf("%q stands in %s", not, got)
		}
	}
	if tip := text(lending.Of(sample.Plan(t, "/trailers/t/tipping", "{}"), "t")); !strings.Contains(tip, "Prop it before") {
		t.Error(tip)
	}
	if told := text(lending.Of(sample.Plan(t, "/trailers/t/tyreSpeed", "27"), "t")); strings.Contains(told, "speed is not known") {
		t.Error(told)
	}
	if lending.Of(p, "none") != nil {
		t.Error("a trailer that is not there")
	}
	bare := text(lending.Of(sample.Plan(t, "/trailers/t", `{"order":1,"name":"Bare"}`), "t"))
	if !strings.Contains(bare, "Not known: read its plate") || !strings.Contains(bare, "speed is not known") {
		t.Error(bare)
	}
}
