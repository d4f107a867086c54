package review_test

import (
	"fmt"
	"math/rand"
	"strconv"
	"strings"
	"testing"

	"zygonos/core/ask/clearance"
	"zygonos/core/ask/ramp"
	"zygonos/core/begin"
	"zygonos/core/facts/catalogue"
	"zygonos/core/internal/sample"
	"zygonos/core/lang/finding"
	"zygonos/core/lang/quantity"
	"zygonos/core/plan"
	"zygonos/core/review"
	"zygonos/core/rig"
)

// mowing is the sample with a zero-turn mower on four wheels of 560 mm, of which nothing is taped but what is stated, on
// ramps of a length up to a deck at 0.5 m.
func mowing(t *testing.T, told, long string, more ...string) *plan.Plan {
	t.Helper()
	sets := []string{"/trailers/t/deckHeight", `{"value":0.5,"how":"weighed"}`, "/loads/crate/mass/value", `300`, "/loads/crate/kind", `"zero-turn"`,
		"/loads/crate/size", `{"length":{"value":1.9,"how":"weighed"},"width":{"value":1.1,"how":"weighed"},"height":{"value":1.1,"how":"weighed"}}`,
		"/loads/crate/centre", `{"back":{"value":1.0,"how":"weighed"},"up":{"value":0.5,"how":"weighed"}}`,
		"/loads/crate/rolling", `{"wheel":0.56` + told + `}`,
		sample.Crate + "/at/back", `0.3`,
		"/parts/ramps", `{"order":1,"name":"Ramps","mass":{"value":30,"plusMinus":0,"how":"weighed"},"size":{"length":{"value":0.2,"how":"weighed"}},"centre":{"back":{"value":0.1,"how":"weighed"}},"ramp":{"length":` + long + `,"width":0.3,"rating":400,"counts":"vehicle","per":"pair","held":"pins","lip":0.08}}`,
		"/outings/o/layouts/t/parts", `{"ramps":{"at":{"back":2.3}}}`,
		"/outings/o/layouts/t/loading", `{"machine":"crate","ramp":"ramps"}`}
	return sample.Plan(t, append(sets, more...)...)
}

func atRest(p *plan.Plan) *review.Report {
	rep := review.Review(p, review.Request{})
	rep.Doubt()
	return rep
}

// Usual of a zero-turn mower: c 80 mm under it, 1.25 m between its wheels, here of r = 280 mm. Astride the crest of ramps
// up 0.5 m, at θ = asin(0.5/l), its wheels' middles stand on lines that meet r/cos θ/2 over the crest and half the
// wheelbase times tan θ/2 over the line between them: c + r·(1/cos θ/2 − 1) − b/2·tan θ/2 is left. For 1.8 m 80 + 2.8 −
// 88.6 = −5.8 mm, with 120 mm under it 34, and 30 under what hangs 0.35 m behind its wheels at the ramp's foot,
// 120 − (350 − r·tan θ/2)·tan θ; for a wheelbase shorter by 15 % 7.5. For 1.2 m −49.6, with both 120 + 6.6 −
// 115.9 = 10.7. For 1.0 m −77.6, with both still −12.
func TestFailsOnUsualFigures(t *testing.T) {
	taped := `,"clearance":{"value":0.08,"how":"weighed"}`
	for name, c := range map[string]struct{ told, long, outcome, says, need string }{
		"usual":           {"", `1.8`, "tight", "Roughly: It grounds by 5.8 mm, with its front wheels 592 mm on the deck. With the ground clearance of Crate at 120 mm, as it may be: At least 30 mm is left under it", "clearance"},
		"taped":           {taped, `1.8`, "tight", "With the wheelbase of Crate at 1063 mm, as it may be: Only 7.5 mm", "wheelbase"},
		"all taped":       {taped + `,"wheelbase":{"value":1.25,"how":"weighed"},"frontAxle":{"value":0.3,"how":"weighed"}`, `1.8`, "fails", "It grounds by 5.8 mm", ""},
		"taped, far off":  {taped, `1.2`, "fails", "It grounds by 50 mm", ""},
		"two usual":       {"", `1.2`, "tight", "as it may be: Only 11 mm", "clearance"},
		"whatever it has": {"", `1`, "fails", "It grounds by 78 mm", ""},
	} {
		p := mowing(t, c.told, c.long)
		f := find(t, atRest(p), ramp.CodeClear)
		says := f.Says.Text(p.Locale())
		if string(f.Outcome) != c.outcome || !strings.Contains(says, c.says) {
			t.Errorf("%s: %s: %s", name, f.Outcome, says)
		}
		asked := false
		for _, n := range f.Needs {
			asked = asked || n.Path == "/loads/crate/rolling/"+c.need
			if n.Path == "/loads/crate/rolling/clearance" && !strings.Contains(n.Where.Text(p.Locale()), "mower deck as high as it goes") {
				t.Error(n.Where.Text(p.Locale()))
			}
		}
		if c.need != "" && (!asked || f.Tight != finding.GuessTooRough) {
			t.Errorf("%s: %s %+v", name, f.Tight, f.Needs)
		}
	}
}

// What fails at rest on usual figures fails on any that are usual: mowers within them, on random ramps.
func TestFailsOnAnyUsual(t *testing.T) {
	rng := rand.New(rand.NewSource(11))
	failed := 0
	for range often(15) {
		told, long := "", num(0.8+1.2*rng.Float64())
		if rng.Intn(2) == 0 {
			told = fmt.Sprintf(`,"nose":%s,"tail":%s`, num(0.05+0.3*rng.Float64()), num(0.05+0.3*rng.Float64()))
		}
		p := mowing(t, told, long, sample.Crate+"/at/back", num(0.1+0.6*rng.Float64()))
		for _, f := range atRest(p.Clone()).Findings {
			if f.Outcome != finding.Fails {
				continue
			}
			failed++
			for range 10 {
				q := p.Clone()
				for _, g := range rig.Taken(q, func(string) bool { return true }) {
					g.Set(g.Range.Low + rng.Float64()*g.Range.Width())
				}
				if o := outcomeOf(review.Review(q, review.Request{}), f.Key()); o == finding.Holds || o == finding.Tight {
					t.Errorf("%s m, %s: %s fails, and with other usual figures: %s", long, told, f.Code, o)
					break
				}
			}
		}
	}
	if failed < 5 {
		t.Errorf("only %d fail", failed)
	}
}

// A driver of 50 to 130 kg, usually 90, on a machine of 300 and ramps of a rating. What is over it with the usual one and
// not with a light one asks for the weight; so does what holds with the usual one and not with a heavy one.
func TestDriverIsAGuess(t *testing.T) {
	for rating, c := range map[string][2]string{
		"340": {"fails", "Either way, 390 kg on ramps rated 340 kg."},
		"370": {"tight", "Roughly: Either way, 390 kg on ramps rated 370 kg. With the driver's weight at 50 kg, as it may be: 350 kg on ramps rated 370 kg."},
		"420": {"tight", "390 kg on ramps rated 420 kg."},
		"500": {"holds", "390 kg on ramps rated 500 kg."},
	} {
		p := mowing(t, "", `2`, "/parts/ramps/ramp/rating", rating)
		f := find(t, atRest(p), ramp.CodeRating)
		if says := f.Says.Text(p.Locale()); string(f.Outcome) != c[0] || says != c[1] {
			t.Errorf("%s: %s %q", rating, f.Outcome, says)
		}
		if f.Softened && (len(f.Needs) != 1 || f.Needs[0].Path != "/outings/o/layouts/t/loading/driver") {
			t.Errorf("%s asks for %+v", rating, f.Needs)
		}
	}
	// told it is no guess
	p := mowing(t, "", `2`, "/parts/ramps/ramp/rating", "370", "/outings/o/layouts/t/loading/driver", `{"value":90,"plusMinus":0,"how":"weighed"}`)
	if f := find(t, atRest(p), ramp.CodeRating); f.Outcome != finding.Fails {
		t.Errorf("told: %s", f.Outcome)
	}
}

func num(v float64) string { return strconv.FormatFloat(v, 'g', -1, 64) }

// A shed of no stated width, usually 1.8 m, reaches 275 mm beyond the sides of a deck of 1.25 m; 305 mm are allowed. A tenth
// wider it reaches 365. A hot tub, usually 2 m, reaches 375; a tenth narrower 275. Taped, both are what they are.
func TestUsualWidthBeyondTheSide(t *testing.T) {
	m := func(v float64) *quantity.Length { l := quantity.Length(v); return &l }
	kg := func(v float64) *quantity.Mass { w := quantity.Mass(v); return &w }
	for kind, want := range map[string]struct {
		outcome finding.Outcome
		taped   finding.Outcome
		says    string
	}{
		"shed":    {finding.Tight, finding.Holds, "But with the width of thing at 1980 mm: The load reaches 365 mm beyond the side, 305 mm is allowed."},
		"hot-tub": {finding.Tight, finding.Fails, "With the width of thing at 1800 mm, as it may be: The load reaches 275 mm beyond the side."},
	} {
		p, err := begin.First(&begin.FirstAnswers{
			Region: quantity.UK, Units: quantity.Metric, Kind: "kit",
			Loads: []begin.FirstLoad{{Name: "thing", Kind: kind, Count: 1, Weight: kg(200)}},
			Axle:  m(2.6), Front: m(1.1), Deck: m(2.4), Width: m(1.25),
		})
		if err != nil {
			t.Fatal(err)
		}
		rep := atRest(p.Clone())
		f := find(t, rep, clearance.CodeSide)
		if f.Outcome != want.outcome || !strings.Contains(f.Says.Text(p.Locale()), want.says) {
			t.Errorf("%s: %s %s", kind, f.Outcome, f.Says.Text(p.Locale()))
		}
		l := p.Loads["load-1"]
		k, _ := catalogue.LoadOf(kind)
		l.Size.Width = &plan.LengthEstimate{Value: k.Width, How: plan.Weighed}
		p.Loads["load-1"] = l
		if f := find(t, atRest(p), clearance.CodeSide); f.Outcome != want.taped {
			t.Errorf("%s, taped: %s %s", kind, f.Outcome, f.Says.Text(p.Locale()))
		}
	}
}
