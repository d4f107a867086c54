package study_test

import (
	"context"
	"math"
	"strings"
	"testing"

	"zygonos/core/ask/tip"
	"zygonos/core/internal/sample"
	"zygonos/core/lang/quantity"
	"zygonos/core/plan"
	"zygonos/core/rig"
	"zygonos/core/study"
)

func tipPlan(t *testing.T, gear string) *plan.Plan {
	t.Helper()
	return sample.Plan(t,
		"/loads", `{"l":{"order":1,"name":"Gravel","kind":"heap","size":{},"centre":{},"bulk":{"material":"gravel","by":"volume","volume":{"value":0.2,"plusMinus":0,"how":"weighed"}}}}`,
		"/outings/o/layouts/t/placements", `{"l":{"on":"deck","at":{"back":0}}}`, "/trailers/t/sideHeight", "0.3",
		"/trailers/t/tipping", `{`+gear+`,"hinge":{"back":2.1,"up":-0.1},"drum":{"back":0,"up":0},"knee":{"back":0,"up":0},
			"mass":{"value":80,"plusMinus":0,"how":"weighed"},"stop":0.7}`)
}

const (
	tipMast     = `"by":"mast","pick":{"back":0.05,"up":0},"foot":{"back":0.02,"up":-0.1},"top":{"back":0.4,"up":1.9},"parts":2,"winchLifts":300`
	tipCylinder = `"by":"cylinder","pick":{"back":1.0,"up":-0.05},"foot":{"back":0.45,"up":-0.3},"top":{"back":0,"up":0}`
)

// peak is the greatest pull of a plan's bed, kg; ok is false where it does not come up.
func peak(p *plan.Plan) (float64, bool) { return tip.New(rig.Resolve(p, "t", "o")).Peak() }

// What the search offers is what it says when it stands in the plan, and no place of the same grid takes less: by a loop over
// all of them through the whole rig, and by a grid of twice the fineness no more than a tenth less.
func TestTipSearchAgainstScan(t *testing.T) {
	for _, gear := range []string{tipMast, tipCylinder} {
		p := tipPlan(t, gear)
		got := study.FindTip(context.Background(), p, "t", "o")
		if !got.Whole || len(got.Ways) == 0 {
			t.Fatalf("%+v", got)
		}
		q, err := plan.Apply(p, got.Ways[0].Patch)
		if err != nil || len(plan.Clean(q)) > 0 {
			t.Fatal(err)
		}
		found, ok := peak(q)
		if !ok {
			t.Fatal("what is offered does not come up")
		}
		scan := func(step float64) float64 {
			best := math.Inf(1)
			try := func(set func(*plan.Tipping)) {
				n := *p
				tr := n.Trailers["t"]
				told := *tr.Tipping
				set(&told)
				tr.Tipping = &told
				n.Trailers = map[string]plan.Trailer{"t": tr}
				if v, ok := peak(&n); ok && v < best {
					best = v
				}
			}
			spot := func(x, z float64) plan.TipSpot {
				return plan.TipSpot{Back: quantity.Length(math.Round(x*1000) / 1000), Up: quantity.Length(math.Round(z*1000) / 1000)}
			}
			if strings.Contains(gear, "mast") {
				for x := -0.3; x < 1.8; x += step {
					for z := 0.4; z <= 2.4+1e-9; z += step {
						for pick := float64(p.Trailers["t"].Tipping.Pick.Back); pick < 1.8; pick += 0.3 {
							try(func(b *plan.Tipping) { b.Top, b.Pick = spot(x, z), spot(pick, float64(b.Pick.Up)) })
						}
					}
				}
				return best
			}
			for x := 0.1; x < 2.0; x += step {
				for z := -0.5; z <= -0.1+1e-9; z += step {
					for pick := x; pick < 2.0; pick += step {
						try(func(b *plan.Tipping) { b.Foot, b.Pick = spot(x, z), spot(pick, -0.05) })
					}
				}
			}
			return best
		}
		if best := scan(0.1); math.Abs(found-best) > 1e-6*best {
			t.Errorf("%.20s: found %v kg, by scan %v", gear, found, best)
		}
		if strings.Contains(gear, "mast") {
			if fine := scan(0.05); found > 1.1*fine {
				t.Errorf("found %v kg, by a finer scan %v", found, fine)
			}
		}
	}
}

// A stopped search says that it did not reach all; what cannot be searched or swept says why.
func TestTipSearchStops(t *testing.T) {
	ctx, stop := context.WithCancel(context.Background())
	stop()
	if got := study.FindTip(ctx, tipPlan(t, tipMast), "t", "o"); got.Whole || len(got.Says) == 0 {
		t.Errorf("%+v", got)
	}
	for _, p := range []*plan.Plan{
		sample.Plan(t),
		tipPlan(t, `"by":"hand","pick":{"back":0.05,"up":0},"foot":{"back":0,"up":0},"top":{"back":0,"up":0}`),
	} {
		if got := study.FindTip(context.Background(), p, "t", "o"); len(got.Ways) != 0 || len(got.Says) == 0 {
			t.Errorf("%+v", got)
		}
	}
}
