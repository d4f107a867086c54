package review_test

import (
	"fmt"
	"math/rand"
	"strings"
	"testing"

	"zygonos/core/facts/catalogue"
	"zygonos/core/internal/sample"
	"zygonos/core/lang/finding"
	"zygonos/core/lang/quantity"
	"zygonos/core/plan"
	"zygonos/core/review"
	"zygonos/core/rig"
)

// lengths are the trailer's fields that its kind gives where nobody taped them.
var lengths = []string{"deckLength", "couplingToDeck", "couplingToAxle", "deckWidth", "deckHeight"}

// untaped is the sample of a kind without those lengths, its load left to the app.
func untaped(t testing.TB, kind string, sets ...string) *plan.Plan {
	sets = append(
		[]string{"/trailers/t/kind", `"` + kind + `"`, sample.Crate, `{"on":"any","at":{"back":0}}`},
		sets...)
	for _, f := range lengths {
		sets = append(sets, "/trailers/t/"+f, "null")
	}
	return sample.Plan(t, sets...)
}

// The middle and the half range of a kind, by hand: a kit's deck is 2.44 m ± 0.09, begins at
// 1.10 m ± 0.25, and its axle is 1.10 + 0.575 × 2.44 = 2.503 m ± 0.183 behind the ball; where
// the axle is taped at 2.6 m the deck begins at 2.6 − 0.575 × 2.44 = 1.197 m ± 0.183.
func TestUsualLengths(t *testing.T) {
	of := func(p *plan.Plan) *rig.Rig { return rig.Resolve(p, "t", "o") }
	near := func(e *plan.LengthEstimate, v, pm float64) bool {
		return abs(float64(e.Value)-v) < 5e-4 && abs(float64(*e.PlusMinus)-pm) < 5e-4 && e.How == plan.Typical
	}
	r := of(untaped(t, "kit"))
	if x := r.Trailer; !near(x.DeckLength, 2.44, 0.09) || !near(x.CouplingToDeck, 1.1, 0.25) ||
		!near(x.CouplingToAxle, 2.503, 0.183) ||
		len(r.Usual) != 5 {
		t.Errorf("%+v", r.Usual)
	}
	p := untaped(t, "kit")
	trailer := p.Trailers["t"]
	trailer.CouplingToAxle = &plan.LengthEstimate{Value: 2.6, How: plan.Weighed}
	p.Trailers["t"] = trailer
	if r = of(p); !near(r.Trailer.CouplingToDeck, 1.197, 0.183) || r.TakesUsual("/couplingToAxle") {
		t.Errorf("%+v", r.Trailer.CouplingToDeck)
	}
	if p.Trailers["t"].DeckLength != nil {
		t.Error("the plan itself was filled")
	}
	for _, k := range catalogue.Trailers {
		for name, u := range map[string]catalogue.Usual{"deck": k.Deck, "width": k.Width, "front": k.Front, "height": k.Height} {
			if !(u.Low > 0 && u.Low <= u.Mid && u.Mid <= u.High) {
				t.Errorf("%s: %s %v", k.ID, name, u)
			}
		}
		if !(k.AxleLow > 0.4 && k.AxleLow < k.AxleTop && k.AxleTop < 0.8) || k.Low >= k.High {
			t.Errorf("%s: %v", k.ID, k)
		}
	}
	if r = of(sample.Plan(t, "/trailers/t/deckWidth", "null")); len(r.Usual) > 0 || r.Trailer.DeckWidth != nil {
		t.Error("lengths are filled where no kind is stated")
	}
}

func abs(x float64) float64 { return max(x, -x) }

// A verdict that holds although lengths are only usual for the kind holds for every trailer of
// that kind: forty of each, taped anywhere in its ranges, fail nothing of it, nor is it unknown.
func TestUsualNeverHoldsWrongly(t *testing.T) {
	rng := rand.New(rand.NewSource(1))
	for _, k := range catalogue.Trailers {
		for _, load := range []string{`"box"`, `"quad"`, `"sit-on-top-fishing"`} {
			p := untaped(t, k.ID, "/loads/crate/kind", load)
			rough := review.Review(p, review.Request{})
			r := rig.Resolve(p, "t", "o")
			held := map[string]bool{}
			for i := range rough.Findings {
				f := &rough.Findings[i]
				held[f.Key()] = f.Outcome == finding.Holds
				if len(f.Says) > 0 && strings.HasPrefix(f.Says[0].Text, "Roughly: ") && f.Outcome == finding.Holds {
					t.Errorf("%s %s: %s holds roughly", k.ID, load, f.Code)
				}
			}
			if rough.Figures.Ball == nil || rough.Figures.Mass == nil {
				t.Errorf("%s %s: no figures", k.ID, load)
			}
			for range 40 {
				real := *p
				real.Trailers = map[string]plan.Trailer{}
				x := *r.Trailer
				for _, f := range []**plan.LengthEstimate{&x.DeckLength, &x.CouplingToDeck, &x.CouplingToAxle, &x.DeckWidth, &x.DeckHeight} {
					d := quantity.Length(2*rng.Float64() - 1)
					*f = &plan.LengthEstimate{Value: (*f).Value + d**(*f).PlusMinus, How: plan.Weighed}
				}
				real.Trailers["t"] = x
				for _, f := range review.Again(&real, review.Request{}).Findings {
					if held[f.Key()] && (f.Outcome == finding.Fails || f.Outcome == finding.Unknown) {
						t.Errorf(
							"%s %s: %s holds, and %s when taped at %s",
							k.ID,
							load,
							f.Code,
							f.Outcome,
							taped(&x),
						)
					}
				}
			}
		}
	}
}

func taped(x *plan.Trailer) string {
	return fmt.Sprintf(
		"deck %.2f at %.2f, axle %.2f",
		x.DeckLength.Value,
		x.CouplingToDeck.Value,
		x.CouplingToAxle.Value,
	)
}
